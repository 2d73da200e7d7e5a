#pragma once

#include "project/project.h"
#include "sheets/plan_sheet.h"

#include <QDialog>

class QComboBox;
class QFormLayout;

namespace mezzet::app {

/// The rows every print dialog ends with: the kind of file, and the buttons to choose where or to
/// leave it.
QComboBox* addFileRows(QFormLayout*, QDialog*);

/// Asks where a file is to go; with its ending when none is typed. `kinds`, of the filter, or the
/// ending in capitals. Empty when nothing is chosen.
QString askWhere(QWidget* over, const QString& title, const QString& name, const QString& ending,
                 const QString& kinds = {});

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
