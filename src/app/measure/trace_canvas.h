#pragma once

#include "trace/drawn_sheet.h"

#include <QImage>
#include <QWidget>

#include <memory>

namespace mezzet::app {

/// What a click on the tracing means.
enum class TraceHand { look, straighten, scale, walls, window, door, opening, inside };

/// A picture, or a drawing of lines, with what has been traced over it. Its points are the
/// picture's pixels, or the drawing's own units.
class TraceCanvas : public QWidget {
    Q_OBJECT
public:
    explicit TraceCanvas(QWidget* parent = nullptr);

    void showPicture(const QImage&);
    void showSheet(std::shared_ptr<const DrawnSheet>, const LayerRoles&);
    void setNotation(Notation n) { notation_ = n; }
    void setHand(TraceHand);
    [[nodiscard]] TraceHand hand() const { return hand_; }
    void setTracing(const Tracing&, std::vector<Vec2> pending, bool closed);
    /// How far apart two points are that a finger takes for one, in the picture's units.
    [[nodiscard]] double nearness() const { return 10 / scale_; }
    void fit();
    [[nodiscard]] QPointF toScreen(Vec2 p) const {
        return origin_ + QPointF(p.x * scale_, p.y * scale_);
    }
    [[nodiscard]] Vec2 toPicture(QPointF p) const {
        return {(p.x() - origin_.x()) / scale_, (p.y() - origin_.y()) / scale_};
    }

    QSize sizeHint() const override { return {820, 620}; }

signals:
    void clicked(mezzet::Vec2 point);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    [[nodiscard]] Vec2 low() const;
    [[nodiscard]] Vec2 high() const;
    void paintSheet(QPainter&);
    void paintTraced(QPainter&);

    QImage picture_;
    QImage sheetImage_; ///< the drawing's lines, painted once for a view
    std::shared_ptr<const DrawnSheet> sheet_;
    LayerRoles roles_;
    Notation notation_;
    Tracing tracing_;
    std::vector<Vec2> pending_;
    bool closed_ = false;
    TraceHand hand_ = TraceHand::look;
    double scale_ = 1;
    QPointF origin_;
    QPointF at_;
    QPointF pressed_;
    bool panning_ = false;
    bool fitted_ = true;
};

} // namespace mezzet::app
