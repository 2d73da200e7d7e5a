#include "app/key_panel.h"

#include "app/style.h"
#include "sheets/drawing.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace mezzet::app {

namespace {
constexpr double letterRadius = 10;
}

KeyPanel::KeyPanel(JobSession& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName("key");
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setMinimumSize(150, 140);
    setAccessibleName("Key to the surfaces");
    setToolTip("Click the floor or a wall to look at it (0, or a wall's number)");
    connect(&session, &JobSession::jobChanged, this, qOverload<>(&QWidget::update));
    connect(&session, &JobSession::surfaceChanged, this, [this] {
        setAccessibleDescription(session_.surface() < 0
                                     ? "Floor"
                                     : "Wall " +
                                           QString::fromStdString(wallName(session_.surface())));
        update();
    });
}

QPointF KeyPanel::at(Vec2 p) const {
    const Box b = session_.project()->room->bounds();
    if (b.empty())
        return rect().center();
    const QRectF area = QRectF(rect()).adjusted(26, 24, -26, -24);
    const double k = std::min(area.width() / std::max(b.size().x, 1.0),
                              area.height() / std::max(b.size().y, 1.0));
    const Vec2 d = p - b.centre();
    return area.center() + QPointF(d.x, d.y) * k;
}

QRectF KeyPanel::buttonOf(int surface) const {
    const Room& room = *session_.project()->room;
    if (surface < 0) {
        const QPointF c = at(room.middle());
        return {c.x() - 32, c.y() - 14, 64, 28};
    }
    const Wall& w = room.walls[static_cast<std::size_t>(surface)];
    const Vec2 out = -w.inward() * sheets::standsOut(room, surface);
    const QPointF c = at((w.start + w.end) / 2 + out) - QPointF(w.inward().x, w.inward().y) * 13;
    return {c.x() - letterRadius, c.y() - letterRadius, 2 * letterRadius, 2 * letterRadius};
}

void KeyPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Room& room = *session_.project()->room;
    QPolygonF outline;
    for (const Vec2 c : room.edge)
        outline << at(c);
    p.setPen(QPen(look().ink, 3, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
    p.setBrush(room.closed ? look().floor : QColor(Qt::transparent));
    room.closed ? p.drawPolygon(outline) : p.drawPolyline(outline);
    for (int i = 0; i < static_cast<int>(room.walls.size()); ++i) {
        const Wall& w = room.walls[static_cast<std::size_t>(i)];
        const bool here = session_.surface() == i;
        if (here) {
            p.setPen(QPen(look().tight, 5, Qt::SolidLine, Qt::FlatCap));
            p.drawLine(at(w.start), at(w.end));
        }
        const QRectF b = buttonOf(i);
        p.setPen(QPen(here || hovered_ == i ? look().ink : look().soft, 1.3));
        p.setBrush(here ? look().ink : look().panel);
        p.drawEllipse(b);
        p.setPen(here ? look().onInk : look().ink);
        p.setFont(sheets::sans(12, QFont::Medium));
        p.drawText(b, Qt::AlignCenter, QString::fromStdString(w.name));
    }
    const QRectF b = buttonOf(-1);
    const bool floor = session_.surface() < 0;
    p.setPen(QPen(hovered_ == -1 && !floor ? look().ink
                  : floor                  ? look().ink
                                           : look().panelEdge,
                  1.2));
    p.setBrush(floor ? look().ink : look().floor);
    p.drawRoundedRect(b, 14, 14);
    p.setPen(floor ? look().onInk : look().ink);
    p.setFont(sheets::sans(14, floor ? QFont::DemiBold : QFont::Normal));
    p.drawText(b, Qt::AlignCenter, "Floor");
    if (hasFocus()) {
        p.setPen(QPen(look().chosen, 1.5));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 5, 5);
    }
}

int KeyPanel::surfaceAt(QPointF p) const {
    const Room& room = *session_.project()->room;
    for (int i = 0; i < static_cast<int>(room.walls.size()); ++i) {
        const Wall& w = room.walls[static_cast<std::size_t>(i)];
        const QPointF a = at(w.start);
        const QPointF b = at(w.end);
        const Vec2 near = nearestOn({{a.x(), a.y()}, {b.x(), b.y()}}, {p.x(), p.y()});
        if (buttonOf(i).adjusted(-2, -2, 2, 2).contains(p) ||
            std::hypot(near.x - p.x(), near.y - p.y()) < 5)
            return i;
    }
    return -1;
}

void KeyPanel::mousePressEvent(QMouseEvent* e) {
    session_.goTo(surfaceAt(e->position()));
}

void KeyPanel::mouseMoveEvent(QMouseEvent* e) {
    const int now = surfaceAt(e->position());
    if (now != hovered_) {
        hovered_ = now;
        update();
    }
}

void KeyPanel::leaveEvent(QEvent*) {
    hovered_ = -2;
    update();
}

void KeyPanel::keyPressEvent(QKeyEvent* e) {
    const int walls = static_cast<int>(session_.project()->room->walls.size());
    const bool on = e->key() == Qt::Key_Right || e->key() == Qt::Key_Down;
    const bool back = e->key() == Qt::Key_Left || e->key() == Qt::Key_Up;
    if (!on && !back)
        return QWidget::keyPressEvent(e);
    int next = session_.surface() + (on ? 1 : -1);
    if (next >= walls)
        next = -1;
    if (next < -1)
        next = walls - 1;
    session_.goTo(next);
}

} // namespace mezzet::app
