#pragma once

#include "project/project.h"
#include "sheets/wall_sheets.h"

#include <QDialog>

class QComboBox;
class QLineEdit;

namespace mezzet::app {

/// Asks how a wall, its hooks or paper templates are to be printed.
class WallSheetDialog : public QDialog {
    Q_OBJECT
public:
    /// `which`: "wall", "hooks" or "templates"; `wall` is the one looked at, or -1.
    WallSheetDialog(const Project&, const QString& which, SurfaceId looked,
                    QWidget* parent = nullptr);

    [[nodiscard]] sheets::WallSheetOptions options() const;
    [[nodiscard]] sheets::TemplateOptions templates() const;
    [[nodiscard]] std::optional<int> wall() const;
    /// "pdf", "svg", "png" or "csv".
    [[nodiscard]] QString format() const;
    [[nodiscard]] QComboBox* wallBox() const { return wall_; }

private:
    Units units_;
    QComboBox* wall_ = nullptr;
    QComboBox* paper_;
    QComboBox* scale_ = nullptr;
    QComboBox* format_;
    QLineEdit* roll_ = nullptr;
};

} // namespace mezzet::app
