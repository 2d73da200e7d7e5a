#include "sheets/drawing.h"

#include "geometry/polygon.h"

#include <QPainterPath>

namespace mezzet::sheets {

QPolygonF Drawing::polygon(const std::vector<Vec2>& points) const {
    QPolygonF out;
    out.reserve(static_cast<qsizetype>(points.size()));
    for (const Vec2 p : points)
        out << at(p);
    return out;
}

QPen Drawing::ink(double width, const QColor& colour) const {
    QPen p(colour, width * pen);
    p.setJoinStyle(Qt::MiterJoin);
    p.setCapStyle(Qt::FlatCap);
    return p;
}

Length graphSquare(Notation n) {
    return isMetric(n.units) ? Length::millimetres(250) : Length::feet(1);
}

void drawGraph(const Drawing& d, const QRectF& r) {
    const double square = graphSquare(d.notation).mm() * d.scale;
    if (square < 4)
        return;
    const auto lines = [&](bool strong) {
        d.painter.setPen(d.ink(strong ? 0.9 : 0.6, strong ? d.look.graphStrong : d.look.graph));
        const auto from = [&](double low, double origin) {
            return static_cast<long>(std::ceil((low - origin) / square));
        };
        for (long i = from(r.left(), d.origin.x()); d.origin.x() + i * square <= r.right(); ++i)
            if ((i % 4 == 0) == strong)
                d.painter.drawLine(QPointF(d.origin.x() + i * square, r.top()),
                                   QPointF(d.origin.x() + i * square, r.bottom()));
        for (long i = from(r.top(), d.origin.y()); d.origin.y() + i * square <= r.bottom(); ++i)
            if ((i % 4 == 0) == strong)
                d.painter.drawLine(QPointF(r.left(), d.origin.y() + i * square),
                                   QPointF(r.right(), d.origin.y() + i * square));
    };
    lines(false);
    lines(true);
}

namespace {

/// The outline pushed outward by the drawn wall thickness, mitred, and held to three thicknesses at
/// sharp corners.
std::vector<Vec2> outerCorners(const Room& room) {
    const double t = drawnWall.mm();
    std::vector<Vec2> out;
    const std::size_t n = room.walls.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Wall& before = room.walls[(i + n - 1) % n];
        const Wall& next = room.walls[i];
        const Vec2 a = -before.inward();
        const Vec2 b = -next.inward();
        const double det = cross(a, b);
        Vec2 step = a * t;
        if (std::abs(det) > 1e-6) {
            step = Vec2{b.y - a.y, a.x - b.x} * (t / det);
            if (norm(step) > 3 * t)
                step = unit(step) * (3 * t);
        }
        out.push_back(next.start + step);
    }
    return out;
}

void drawDoor(const Drawing& d, const Room& room, const Opening& o) {
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    const Vec2 hinge = w.at(o.hingeRight ? o.left + o.width : o.left);
    const Vec2 shut = o.hingeRight ? -w.along() : w.along();
    const Vec2 in = o.swingsIn ? w.inward() : -w.inward();
    const Vec2 base = o.swingsIn ? hinge : hinge - w.inward() * drawnWall.mm();
    const double r = o.width.mm();
    d.painter.setPen(d.ink(1.6));
    d.painter.drawLine(d.at(base), d.at(base + in * r));
    QPainterPath arc;
    constexpr int steps = 24;
    for (int i = 0; i <= steps; ++i) {
        const double a = 1.5707963267948966 * i / steps;
        const QPointF p = d.at(base + (in * std::cos(a) + shut * std::sin(a)) * r);
        i == 0 ? arc.moveTo(p) : arc.lineTo(p);
    }
    d.painter.setBrush(Qt::NoBrush);
    d.painter.setPen(d.ink(0.7, d.look.soft));
    d.painter.drawPath(arc);
}

void drawOpening(const Drawing& d, const Room& room, const Opening& o) {
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    const Vec2 out = -w.inward() * drawnWall.mm();
    const Vec2 a = w.at(o.left);
    const Vec2 b = w.at(o.left + o.width);
    d.painter.setPen(Qt::NoPen);
    d.painter.setBrush(d.look.floor);
    // A hair wider than the wall, so that no sliver of poché stays.
    const Vec2 hair = w.inward() * (0.8 * d.pen / d.scale);
    d.painter.drawPolygon(d.polygon({a + hair, b + hair, b + out - hair, a + out - hair}));
    d.painter.setPen(d.ink(1));
    d.painter.drawLine(d.at(a), d.at(a + out));
    d.painter.drawLine(d.at(b), d.at(b + out));
    if (o.kind == OpeningKind::window) {
        for (const double k : {0.0, 0.38, 0.62, 1.0})
            d.painter.drawLine(d.at(a + out * k), d.at(b + out * k));
    } else if (o.kind == OpeningKind::opening) {
        d.painter.setPen(QPen(d.look.soft, d.pen, Qt::DashLine));
        d.painter.drawLine(d.at(a), d.at(b));
        d.painter.drawLine(d.at(a + out), d.at(b + out));
    } else {
        d.painter.setPen(d.ink(0.7, d.look.soft));
        d.painter.drawLine(d.at(a + out), d.at(b + out));
    }
}

} // namespace

void drawRoom(const Drawing& d, const Room& room) {
    if (room.walls.empty())
        return;
    QPainter& p = d.painter;
    if (room.closed) {
        QPainterPath walls;
        walls.setFillRule(Qt::OddEvenFill);
        walls.addPolygon(d.polygon(outerCorners(room)));
        walls.closeSubpath();
        QPainterPath inside;
        inside.addPolygon(d.polygon(room.corners()));
        inside.closeSubpath();
        walls.addPath(inside);
        p.setPen(Qt::NoPen);
        p.setBrush(d.look.poche);
        p.drawPath(walls);
        p.setPen(d.ink(0.8, d.look.poche));
        p.setBrush(Qt::NoBrush);
        p.drawPath(inside);
    } else {
        for (const Wall& w : room.walls) {
            const Vec2 out = -w.inward() * drawnWall.mm();
            p.setPen(Qt::NoPen);
            p.setBrush(d.look.poche);
            p.drawPolygon(d.polygon({w.start, w.end, w.end + out, w.start + out}));
        }
        p.setPen(QPen(d.look.tight, 2 * d.pen, Qt::DashLine));
        p.drawLine(d.at(room.walls.back().end), d.at(room.walls.front().start));
    }
    for (const Chimney& c : room.chimneys) {
        const auto corners = outline(solid(room, c));
        p.setPen(d.ink(1));
        p.setBrush(d.look.poche);
        p.drawPolygon(d.polygon(corners));
        // The hearth opening, so that it reads as a fireplace and not as a pier.
        const Wall& w = room.walls[static_cast<std::size_t>(c.wall)];
        const Vec2 in = w.inward();
        const Vec2 front = in * c.depth.mm();
        const Length third = c.width * 0.28;
        const Vec2 a = w.at(c.left + third) + front;
        const Vec2 b = w.at(c.left + c.width - third) + front;
        const Vec2 back = in * (-c.depth.mm() * 0.62);
        p.setBrush(d.look.floor);
        p.drawPolygon(d.polygon({a, b, b + back + (a - b) * 0.15, a + back + (b - a) * 0.15}));
    }
    for (const Opening& o : room.openings)
        drawOpening(d, room, o);
    for (const Opening& o : room.openings)
        if (o.kind == OpeningKind::door)
            drawDoor(d, room, o);
}

void drawWallLetters(const Drawing& d, const Room& room, double away) {
    const double r = 9.5 * d.pen;
    d.painter.setFont(sans(12 * d.pen, QFont::Medium));
    for (const Wall& w : room.walls) {
        const QPointF c = d.at((w.start + w.end) / 2 - w.inward() * drawnWall.mm()) -
                          QPointF(w.inward().x, w.inward().y) * away;
        d.painter.setPen(d.ink(1.2));
        d.painter.setBrush(d.look.board);
        d.painter.drawEllipse(c, r, r);
        d.painter.drawText(QRectF(c - QPointF(r, r), QSizeF(2 * r, 2 * r)), Qt::AlignCenter,
                           QString::fromStdString(w.name));
    }
}

void drawNorth(const Drawing& d, QPointF c, double r, Angle north) {
    QPainter& p = d.painter;
    p.save();
    p.translate(c);
    p.rotate(north.inDegrees());
    p.setPen(d.ink(1));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(QPointF(0, 0), r * 0.72, r * 0.72);
    p.setBrush(d.look.ink);
    p.drawPolygon(QPolygonF{{0, -r}, {r * 0.3, r * 0.45}, {0, r * 0.18}});
    p.setBrush(d.look.board);
    p.drawPolygon(QPolygonF{{0, -r}, {-r * 0.3, r * 0.45}, {0, r * 0.18}});
    p.setFont(sans(r * 0.8, QFont::DemiBold));
    p.drawText(QRectF(-r, -r * 2.0, 2 * r, r), Qt::AlignCenter, "N");
    p.restore();
}

} // namespace mezzet::sheets
