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
    const std::size_t n = room.stretches();
    for (std::size_t i = 0; i < n; ++i) {
        const Wall before = room.stretchAt((i + n - 1) % n);
        const Wall next = room.stretchAt(i);
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

/// A leaf standing open and the arc it sweeps.
void drawLeaf(const Drawing& d, Vec2 hinge, Vec2 shut, Vec2 open, double width) {
    d.painter.setPen(d.ink(1.6));
    d.painter.drawLine(d.at(hinge), d.at(hinge + open * width));
    QPainterPath arc;
    constexpr int steps = 24;
    for (int i = 0; i <= steps; ++i) {
        const double a = 1.5707963267948966 * i / steps;
        const QPointF p = d.at(hinge + (open * std::cos(a) + shut * std::sin(a)) * width);
        i == 0 ? arc.moveTo(p) : arc.lineTo(p);
    }
    d.painter.setBrush(Qt::NoBrush);
    d.painter.setPen(d.ink(0.7, d.look.soft));
    d.painter.drawPath(arc);
}

void drawDoor(const Drawing& d, const Room& room, const Opening& o) {
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    const Vec2 face = o.swingsIn ? Vec2{} : -w.inward() * drawnWall.mm();
    const Vec2 left = w.at(o.left) + face;
    const Vec2 right = w.at(o.left + o.width) + face;
    const Vec2 along = w.along();
    const Vec2 open = o.swingsIn ? w.inward() : -w.inward();
    const double width = o.width.mm();
    // A sliding leaf lies against the wall, a pocket leaf within it.
    const auto slab = [&](Vec2 from, double length, double inset, bool dashed) {
        const Vec2 in = -w.inward();
        const Vec2 a = from + in * inset;
        const Vec2 b = a + along * length;
        d.painter.setPen(dashed ? QPen(d.look.onInk, d.pen, Qt::DashLine) : d.ink(1.2));
        d.painter.setBrush(Qt::NoBrush);
        d.painter.drawPolygon(d.polygon({a, b, b + in * 40, a + in * 40}));
    };
    switch (o.style) {
    case DoorStyle::hinged:
        drawLeaf(d, o.hingeRight ? right : left, o.hingeRight ? -along : along, open, width);
        break;
    case DoorStyle::pair:
        drawLeaf(d, left, along, open, width / 2);
        drawLeaf(d, right, -along, open, width / 2);
        break;
    case DoorStyle::folding: {
        // Two panels standing half open, like a tent.
        const Vec2 hinge = o.hingeRight ? right : left;
        const Vec2 shut = o.hingeRight ? -along : along;
        const Vec2 top = hinge + shut * (width * 0.18) + open * (width * 0.45);
        d.painter.setPen(d.ink(1.6));
        d.painter.drawPolyline(d.polygon({hinge, top, hinge + shut * (width * 0.36)}));
        break;
    }
    case DoorStyle::sliding:
        // A wide one has two panels that slide past each other in its frame.
        if (slidesInItsFrame(o)) {
            const double inset = drawnWall.mm() / 2;
            slab(w.at(o.left), width * 0.52, inset - 40, false);
            slab(w.at(o.left) + along * (width * 0.48), width * 0.52, inset, false);
            break;
        }
        slab(w.at(o.left) + along * (o.hingeRight ? width * 0.5 : -width * 0.5), width, -60, false);
        break;
    case DoorStyle::pocket:
        slab(w.at(o.left) + along * (o.hingeRight ? width * 0.75 : -width * 0.75), width,
             (drawnWall.mm() - 40) / 2, true);
        break;
    }
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
    if (o.kind == OpeningKind::window && o.opens == WindowOpens::inward) {
        QPen swing(d.look.soft, 0.8 * d.pen, Qt::DashLine);
        const Vec2 in = w.inward() * (o.width.mm() / 2);
        d.painter.setPen(swing);
        d.painter.drawPolyline(
            d.polygon({a, a + in * 0.7 + w.along() * (o.width.mm() * 0.35), (a + b) / 2}));
        d.painter.drawPolyline(
            d.polygon({b, b + in * 0.7 - w.along() * (o.width.mm() * 0.35), (a + b) / 2}));
        d.painter.setPen(d.ink(1));
    }
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
        inside.addPolygon(d.polygon(room.edge));
        inside.closeSubpath();
        walls.addPath(inside);
        p.setPen(Qt::NoPen);
        p.setBrush(d.look.poche);
        p.drawPath(walls);
        p.setPen(d.ink(0.8, d.look.poche));
        p.setBrush(Qt::NoBrush);
        p.drawPath(inside);
    } else {
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            const Vec2 out = -w.inward() * drawnWall.mm();
            p.setPen(Qt::NoPen);
            p.setBrush(d.look.poche);
            p.drawPolygon(d.polygon({w.start, w.end, w.end + out, w.start + out}));
        }
        p.setPen(QPen(d.look.tight, 2 * d.pen, Qt::DashLine));
        p.drawLine(d.at(room.walls.back().end), d.at(room.walls.front().start));
    }
    drawOverhead(d, room);
    for (const Fixture& f : room.fixtures)
        drawFixture(d, room, f);
    for (const Opening& o : room.openings)
        drawOpening(d, room, o);
    for (const Opening& o : room.openings)
        if (o.kind == OpeningKind::door)
            drawDoor(d, room, o);
}

void drawNeighbours(const Drawing& d, const std::vector<RoomPtr>& rooms, std::size_t room) {
    if (rooms.size() < 2)
        return;
    const House house = joinRooms(rooms, drawnWall);
    if (!house.places[room])
        return;
    QPainter& p = d.painter;
    for (std::size_t i = 0; i < rooms.size(); ++i) {
        if (i == room || !house.places[i] || !rooms[i]->closed)
            continue;
        QPolygonF outline;
        for (const Vec2 c : rooms[i]->edge)
            outline << d.at(house.into(room, i, c));
        QColor wash = d.look.floor;
        wash.setAlphaF(0.55F);
        p.setPen(QPen(d.look.graphStrong, 1.4 * d.pen));
        p.setBrush(wash);
        p.drawPolygon(outline);
        const Words words{QString::fromStdString(rooms[i]->name), sans(12.5 * d.pen), d.look.soft,
                          11};
        const QRectF seen = outline.boundingRect();
        const QRectF box = wordsAbout({}, words, d.pen);
        std::vector<QRectF> places;
        for (const double y : {0.5, 0.3, 0.7, 0.15, 0.85})
            for (const double x : {0.5, 0.3, 0.7, 0.15, 0.85})
                if (const QRectF at = box.translated(seen.left() + x * seen.width(),
                                                     seen.top() + y * seen.height());
                    seen.contains(at) && outline.containsPoint(at.topLeft(), Qt::OddEvenFill) &&
                    outline.containsPoint(at.bottomRight(), Qt::OddEvenFill))
                    places.push_back(at);
        drawWords(d, std::move(places), words);
    }
}

double standsOut(const Room& room, int wall) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    double out = 0;
    for (std::size_t i = 0; i < room.edge.size(); ++i)
        if (room.edgeWall[i] == wall)
            out = std::max(out, dot(w.start - room.edge[i], w.inward()));
    return out;
}

void drawWallLetters(const Drawing& d, const Room& room, double away) {
    if (d.labels == nullptr)
        return;
    const double r = 9.5 * d.pen;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& w = room.walls[i];
        const double out = drawnWall.mm() + standsOut(room, static_cast<int>(i));
        const QPointF off = QPointF(w.inward().x, w.inward().y);
        const QPointF c = d.at((w.start + w.end) / 2 - w.inward() * out) - off * away;
        const double half = w.length().mm() / 2 * d.scale;
        const QPointF along(w.along().x, w.along().y);
        Label l;
        l.weight = 90;
        // Outside its middle; else farther along, or farther out.
        for (const double farther : {0.0, 1.0, 2.0, -1.0})
            for (const double share : {0.0, 0.3, -0.3, 0.6, -0.6, 0.9, -0.9}) {
                QRectF box(0, 0, 2 * r, 2 * r);
                box.moveCenter(c + along * (share * half) - off * (farther * 2.1 * r));
                l.places.push_back(box);
            }
        l.paint = [=, places = l.places, name = QString::fromStdString(w.name), ink = d.look.ink,
                   board = d.look.board, pen = d.pen](QPainter& p, std::size_t at) {
            p.setFont(sans(12 * pen, QFont::Medium));
            p.setPen(QPen(ink, 1.2 * pen));
            p.setBrush(board);
            p.drawEllipse(places[at]);
            p.drawText(places[at], Qt::AlignCenter, name);
        };
        d.labels->add(std::move(l));
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
