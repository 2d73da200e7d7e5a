#pragma once

#include "app/measure/trace_canvas.h"
#include "app/session/long_work.h"
#include "project/project.h"

#include <QButtonGroup>
#include <QDialog>

class QComboBox;
class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;
class QSpinBox;
class QTableWidget;

namespace mezzet::app {

/// Traces a picture, a PDF page or a DXF drawing into tape notes: straighten, scale, walls,
/// openings.
class TraceScreen : public QDialog {
    Q_OBJECT
public:
    TraceScreen(Units, QWidget* parent = nullptr);

    bool openFile(const QString& path, int page = 1);
    [[nodiscard]] QString notes() const { return notes_; }
    /// The picture as it lies under the traced room; null for a drawing of lines.
    [[nodiscard]] std::shared_ptr<Underlay> underlay() const;
    [[nodiscard]] TraceCanvas* canvas() const { return canvas_; }
    [[nodiscard]] LongWork* work() const { return work_; }
    [[nodiscard]] QString said() const;
    void setHand(TraceHand);
    /// A click on the drawing, in its own points.
    void clickAt(Vec2);
    /// The length typed for the two points clicked, or "12' x 9'" for a rectangle.
    void typeLength(const QString&);
    [[nodiscard]] const Tracing& tracing() const { return tracing_; }

protected:
    void keyPressEvent(QKeyEvent*) override;

private:
    void browse();
    void tell(const QString& words, bool trouble = false);
    bool showPicture(const QImage&, const QString& path);
    void showSheet(std::shared_ptr<const DrawnSheet>);
    void rolesChanged();
    [[nodiscard]] double unit() const;
    void straighten(const QString& typed);
    void removeLast();
    void refresh();

    Units units_;
    TraceCanvas* canvas_;
    QLabel* file_;
    QSpinBox* page_;
    QButtonGroup* hands_;
    QWidget* pictureTools_;
    QWidget* sheetTools_;
    QTableWidget* layers_;
    QComboBox* unitBox_;
    QLineEdit* length_;
    QLabel* scaleSays_;
    QLabel* says_;
    QPlainTextEdit* preview_;
    QPushButton* take_;
    LongWork* work_;

    QString path_;
    QImage picture_;
    std::shared_ptr<const DrawnSheet> sheet_;
    LayerRoles roles_;
    Tracing tracing_;
    std::vector<Vec2> pending_;
    bool closed_ = false;
    QString notes_;
    Pose place_; ///< the traced room's origin and wall A, in mm of the picture
};

} // namespace mezzet::app
