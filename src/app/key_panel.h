#pragma once

#include "app/job_session.h"

#include <QWidget>

namespace mezzet::app {

/// The key: a small plan of the room by which one goes from surface to surface.
class KeyPanel : public QWidget {
    Q_OBJECT
public:
    explicit KeyPanel(JobSession&, QWidget* parent = nullptr);
    QSize sizeHint() const override { return {196, 156}; }

    /// Where the button of a surface is; -1 is the floor.
    [[nodiscard]] QRectF buttonOf(int surface) const;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void leaveEvent(QEvent*) override;

private:
    [[nodiscard]] int surfaceAt(QPointF) const;
    [[nodiscard]] QPointF at(Vec2) const;

    JobSession& session_;
    int hovered_ = -2;
};

} // namespace mezzet::app
