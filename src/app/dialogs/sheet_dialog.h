#pragma once

#include "app/session/runner.h"
#include "sheets/sheet.h"

#include <QDialog>
#include <QTimer>

class QCheckBox;
class QComboBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

namespace mezzet::app {

/// Asks where a file goes, in a folder to begin with; empty when it is given up. A name without a
/// known ending is given one.
[[nodiscard]] QString askWhere(QWidget* over, const QString& title, const QString& name,
                               const QString& ending, const QString& kinds = {},
                               const QString& folder = {});
/// A name without what no file may hold.
[[nodiscard]] QString asFileName(QString);

/// Asks for a sheet: which, and what it asks for itself, beside a picture of its pages as they
/// would come out of the printer.
class SheetDialog : public QDialog {
    Q_OBJECT
public:
    /// `first` is chosen to begin with; `looked` the surface that is looked at.
    SheetDialog(ProjectPtr, const QString& first, SurfaceId looked, QWidget* parent = nullptr);

    [[nodiscard]] const sheets::SheetKind& kind() const;
    [[nodiscard]] sheets::SheetOptions options() const;
    /// "pdf", "svg", "png" or "csv".
    [[nodiscard]] QString format() const;
    /// What is asked for, to be offered again next time.
    [[nodiscard]] PrintChoice choice() const;
    /// A name for the file: job, room, sheet, wall and date.
    [[nodiscard]] QString fileName() const;
    [[nodiscard]] QComboBox* scales() const { return scale_; }
    [[nodiscard]] QCheckBox* forClient() const { return client_; }
    /// Whether the picture shows what is asked for.
    [[nodiscard]] bool drawn() const { return !runner_.runs(drawing_) && !later_.isActive(); }
    [[nodiscard]] QLabel* picture() const { return picture_; }

protected:
    void resizeEvent(QResizeEvent*) override;

private:
    void askFor();
    /// Greys the scales at which the sheet does not fit.
    void markScales(const std::vector<bool>& fits);
    void drawSoon();
    void draw();
    void showPicture();

    ProjectPtr job_;
    QListWidget* list_;
    QFormLayout* form_;
    QLabel* about_;
    QComboBox* wall_;
    QComboBox* paper_;
    QComboBox* scale_;
    QCheckBox* client_;
    QComboBox* piece_;
    QLineEdit* roll_;
    QLabel* note_;
    QComboBox* format_;
    QPushButton* print_;
    QLabel* picture_;
    QLabel* said_;
    QPushButton* back_;
    QPushButton* on_;
    Runner runner_;
    ProgressPtr drawing_;
    QTimer later_;
    QImage drawn_;
    QString fitsOf_; ///< what the scales were tried for
    std::size_t page_ = 0;
    std::size_t pages_ = 0;
};

} // namespace mezzet::app
