#include "app/panels/key_panel.h"
#include "app/look/tr.h"

#include "app/look/style.h"
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
    setAccessibleName(tr("Key to the surfaces"));
    setToolTip(
        tr("Click the floor, a wall or the ceiling to look at it (Alt and 0, a wall's number, or "
           "the up arrow)"));
    connect(&session, &JobSession::jobChanged, this, [this] { pace_.want(); });
    connect(&session, &JobSession::surfaceChanged, this, [this] {
        setAccessibleDescription(
            capitalised(surfaceName(session_.surface(), session_.project()->wording())));
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

QRectF KeyPanel::buttonOf(SurfaceId surface) const {
    const Room& room = *session_.project()->room;
    if (!surface.isWall()) {
        // One over the other, in the middle of the floor.
        const QPointF c = at(room.middle());
        return surface.isCeiling() ? QRectF(c.x() - 32, c.y() + 3, 64, 22)
                                   : QRectF(c.x() - 32, c.y() - 25, 64, 26);
    }
    const Wall& w = room.walls[static_cast<std::size_t>(surface.wall())];
    const Vec2 out = -w.inward() * sheets::standsOut(room, surface.wall());
    const QPointF c = at((w.start + w.end) / 2 + out) - QPointF(w.inward().x, w.inward().y) * 13;
    return {c.x() - letterRadius, c.y() - letterRadius, 2 * letterRadius, 2 * letterRadius};
}

std::vector<SurfaceId> KeyPanel::surfaces() const {
    std::vector<SurfaceId> out{theFloor()};
    for (std::size_t i = 0; i < session_.project()->room->walls.size(); ++i)
        out.push_back(onWall(static_cast<int>(i)));
    out.push_back(theCeiling());
    return out;
}

void KeyPanel::drawButton(QPainter& p, SurfaceId surface) const {
    const bool here = session_.surface() == surface;
    const bool pointed = hovered_ == surface;
    const QRectF b = buttonOf(surface);
    p.setPen(QPen(here || pointed    ? look().ink
                  : surface.isWall() ? look().soft
                                     : look().panelEdge,
                  surface.isWall() ? 1.3 : 1.2));
    p.setBrush(here ? look().ink : surface.isWall() ? look().panel : look().floor);
    p.drawRoundedRect(b, b.height() / 2, b.height() / 2);
    p.setPen(here ? look().onInk : look().ink);
    p.setFont(sheets::sans(surface.isFloor() ? 14 : 12, here               ? QFont::DemiBold
                                                        : surface.isWall() ? QFont::Medium
                                                                           : QFont::Normal));
    p.drawText(b, Qt::AlignCenter,
               surface.isFloor()     ? tr("Floor")
               : surface.isCeiling() ? tr("Ceiling")
                                     : QString::fromStdString(wallName(surface.wall())));
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
    if (session_.surface().isWall()) {
        const Wall& w = room.walls[static_cast<std::size_t>(session_.surface().wall())];
        p.setPen(QPen(look().tight, 5, Qt::SolidLine, Qt::FlatCap));
        p.drawLine(at(w.start), at(w.end));
    }
    for (const SurfaceId surface : surfaces())
        drawButton(p, surface);
    if (hasFocus()) {
        p.setPen(QPen(look().chosen, 1.5));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 5, 5);
    }
}

SurfaceId KeyPanel::surfaceAt(QPointF p) const {
    const Room& room = *session_.project()->room;
    for (const SurfaceId surface : surfaces()) {
        if (surface.isFloor())
            continue; // it is wherever nothing else is
        if (buttonOf(surface).adjusted(-2, -2, 2, 2).contains(p))
            return surface;
        if (!surface.isWall())
            continue;
        const Wall& w = room.walls[static_cast<std::size_t>(surface.wall())];
        const QPointF a = at(w.start);
        const QPointF b = at(w.end);
        const Vec2 near = nearestOn({{a.x(), a.y()}, {b.x(), b.y()}}, {p.x(), p.y()});
        if (std::hypot(near.x - p.x(), near.y - p.y()) < 5)
            return surface;
    }
    return theFloor();
}

void KeyPanel::mousePressEvent(QMouseEvent* e) {
    session_.goTo(surfaceAt(e->position()));
}

void KeyPanel::mouseMoveEvent(QMouseEvent* e) {
    const SurfaceId now = surfaceAt(e->position());
    if (hovered_ != now) {
        hovered_ = now;
        update();
    }
}

void KeyPanel::leaveEvent(QEvent*) {
    hovered_.reset();
    update();
}

void KeyPanel::keyPressEvent(QKeyEvent* e) {
    const bool on = e->key() == Qt::Key_Right || e->key() == Qt::Key_Down;
    const bool back = e->key() == Qt::Key_Left || e->key() == Qt::Key_Up;
    if (!on && !back)
        return QWidget::keyPressEvent(e);
    const auto all = surfaces();
    const auto now = static_cast<std::size_t>(
        std::find(all.begin(), all.end(), session_.surface()) - all.begin());
    session_.goTo(all[(now + (on ? 1 : all.size() - 1)) % all.size()]);
}

} // namespace mezzet::app
