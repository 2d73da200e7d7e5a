#pragma once

#include "project/project.h"
#include "sheets/plan_sheet.h"

#include <QDialog>

class QComboBox;

namespace mezzet::app {

/// Asks on what paper and at what scale a plan is to be printed.
class SheetDialog : public QDialog {
    Q_OBJECT
public:
    explicit SheetDialog(bool metric, QWidget* parent = nullptr);

    [[nodiscard]] sheets::PlanOptions options() const;
    /// "pdf", "svg" or "png".
    [[nodiscard]] QString format() const;

private:
    QComboBox* paper_;
    QComboBox* scale_;
    QComboBox* format_;
};

} // namespace mezzet::app
