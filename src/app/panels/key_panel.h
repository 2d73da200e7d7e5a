#pragma once

#include "app/session/job_session.h"
#include "app/session/pace.h"

#include <QWidget>

namespace mezzet::app {

/// The key: a small plan of the room by which one goes from surface to surface.
class KeyPanel : public QWidget {
    Q_OBJECT
public:
    explicit KeyPanel(JobSession&, QWidget* parent = nullptr);
    QSize sizeHint() const override { return {196, 156}; }

    /// Where the button of a surface is.
    [[nodiscard]] QRectF buttonOf(SurfaceId) const;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void leaveEvent(QEvent*) override;

private:
    Pace pace_{100, [this] { update(); }}; ///< its marks follow calmly
    [[nodiscard]] SurfaceId surfaceAt(QPointF) const;
    /// The floor, the walls in order, the ceiling.
    [[nodiscard]] std::vector<SurfaceId> surfaces() const;
    void drawButton(QPainter&, SurfaceId) const;
    [[nodiscard]] QPointF at(Vec2) const;

    JobSession& session_;
    std::optional<SurfaceId> hovered_;
};

} // namespace mezzet::app
