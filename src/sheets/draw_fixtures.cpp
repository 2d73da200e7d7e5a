// What is built into a room, from above and from inside.
#include "geometry/polygon.h"
#include "sheets/drawing.h"
#include "sheets/tr.h"

#include <QFontMetricsF>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

/// A rectangle on the floor before a wall.
struct Plot {
    const Wall& w;
    double left;
    double right;
    double depth;

    [[nodiscard]] Vec2 at(double s, double out) const {
        return w.start + w.along() * s + w.inward() * out;
    }
    [[nodiscard]] std::vector<Vec2> box(double s0, double d0, double s1, double d1) const {
        return {at(s0, d0), at(s1, d0), at(s1, d1), at(s0, d1)};
    }
};

void hearth(const Drawing& d, const Plot& r, const Fixture& f) {
    QPainter& p = d.painter;
    p.setPen(d.ink(1));
    p.setBrush(d.look.poche);
    p.drawPolygon(d.polygon(r.box(r.left, 0, r.right, r.depth)));
    const double middle = (r.left + r.right) / 2;
    const double half = f.fireWidth > Length{} ? f.fireWidth.mm() / 2 : (r.right - r.left) * 0.22;
    // The fire's opening, so that it reads as a hearth and not as a pier.
    p.setBrush(d.look.floor);
    p.drawPolygon(d.polygon({r.at(middle - half, r.depth), r.at(middle + half, r.depth),
                             r.at(middle + half * 0.7, r.depth * 0.38),
                             r.at(middle - half * 0.7, r.depth * 0.38)}));
    if (f.hearthDepth > Length{}) {
        const double w = f.hearthWidth.mm() / 2;
        p.setPen(d.ink(0.8));
        p.setBrush(Qt::NoBrush);
        p.drawPolygon(
            d.polygon(r.box(middle - w, r.depth, middle + w, r.depth + f.hearthDepth.mm())));
    }
}

void stairsFromAbove(const Drawing& d, const Plot& r, const Fixture& f) {
    QPainter& p = d.painter;
    p.setPen(d.ink(1));
    p.setBrush(d.look.floor);
    p.drawPolygon(d.polygon(r.box(r.left, 0, r.right, r.depth)));
    p.setPen(d.ink(0.8));
    for (double s = r.left; s <= r.right + 0.1; s += f.going.mm())
        p.drawLine(d.at(r.at(s, 0)), d.at(r.at(s, r.depth)));
    const double from = f.upRight ? r.left + 60 : r.right - 60;
    const double to = f.upRight ? r.right - 60 : r.left + 60;
    const double back = f.upRight ? -90 : 90;
    p.setPen(d.ink(1.2));
    p.drawLine(d.at(r.at(from, r.depth / 2)), d.at(r.at(to, r.depth / 2)));
    p.drawPolyline(d.polygon({r.at(to + back, r.depth / 2 - 60), r.at(to, r.depth / 2),
                              r.at(to + back, r.depth / 2 + 60)}));
    const QPointF label = d.at(r.at(from + (f.upRight ? 1 : -1) * 60, r.depth / 2));
    const Words words{"up", sans(10.5 * d.pen), d.look.ink, 14};
    drawWords(d,
              {wordsAbout(label - QPointF(0, 11 * d.pen), words, d.pen),
               wordsAbout(label + QPointF(0, 11 * d.pen), words, d.pen)},
              words);
}

/// The small marks of a wall's services, at its face.
void serviceMark(const Drawing& d, const Plot& r, const Fixture& f) {
    QPainter& p = d.painter;
    const QPointF c = d.at(r.at(r.left, 0));
    const Vec2 in = r.w.inward();
    const Vec2 along = r.w.along();
    const QPointF n(in.x, in.y);
    const QPointF t(along.x, along.y);
    const double u = d.pen;
    p.setPen(d.ink(1));
    p.setBrush(d.look.board);
    switch (f.kind) {
    case FixtureKind::outlet:
        // A plug pointing into the room: a small box with two prongs.
        p.drawPolygon(QPolygonF{c - t * 4 * u, c + t * 4 * u, c + t * 4 * u + n * 4 * u,
                                c - t * 4 * u + n * 4 * u});
        for (const double k : {-2.0, 2.0})
            p.drawLine(c + t * k * u + n * 4 * u, c + t * k * u + n * 7.5 * u);
        break;
    case FixtureKind::lightSwitch:
        p.drawPolygon(QPolygonF{c - t * 3 * u, c + t * 3 * u, c + t * 3 * u + n * 4 * u,
                                c - t * 3 * u + n * 4 * u});
        p.drawLine(c + n * 4 * u, c + n * 8 * u + t * 4 * u);
        break;
    case FixtureKind::wallLight:
        p.drawPolygon(QPolygonF{c - t * 3 * u, c + t * 3 * u, c + t * 5 * u + n * 6 * u,
                                c - t * 5 * u + n * 6 * u});
        for (const double k : {-5.0, 0.0, 5.0})
            p.drawLine(c + t * k * u + n * 8 * u, c + t * k * 1.4 * u + n * 11 * u);
        break;
    default:
        break;
    }
}

} // namespace

void drawFixture(const Drawing& d, const Room& room, const Fixture& f) {
    QPainter& p = d.painter;
    const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
    const Plot r{w, f.left.mm(), (f.left + f.width).mm(), f.depth.mm()};
    switch (f.kind) {
    case FixtureKind::chimney:
    case FixtureKind::fireplace:
        hearth(d, r, f);
        break;
    case FixtureKind::radiator: {
        p.setPen(d.ink(0.9));
        p.setBrush(d.look.floor);
        p.drawPolygon(d.polygon(r.box(r.left, r.depth * 0.25, r.right, r.depth)));
        const int fins = std::max(2, static_cast<int>((r.right - r.left) / 80));
        p.setPen(d.ink(0.6, d.look.soft));
        for (int i = 1; i < fins; ++i) {
            const double s = r.left + (r.right - r.left) * i / fins;
            p.drawLine(d.at(r.at(s, r.depth * 0.25)), d.at(r.at(s, r.depth)));
        }
        break;
    }
    case FixtureKind::builtIn: {
        const bool overhead = !f.takesFloor();
        p.setPen(overhead ? QPen(d.look.soft, d.pen, Qt::DashLine) : d.ink(1));
        p.setBrush(overhead ? QBrush(Qt::NoBrush) : QBrush(d.look.board));
        p.drawPolygon(d.polygon(r.box(r.left, 0, r.right, r.depth)));
        p.setPen(d.ink(0.6, d.look.soft));
        p.drawLine(d.at(r.at(r.left, 0)), d.at(r.at(r.right, r.depth)));
        p.drawLine(d.at(r.at(r.right, 0)), d.at(r.at(r.left, r.depth)));
        break;
    }
    case FixtureKind::halfWall:
        p.setPen(d.ink(1));
        p.setBrush(QBrush(d.look.poche, Qt::BDiagPattern));
        p.drawPolygon(d.polygon(r.box(r.left, 0, r.right, r.depth)));
        break;
    case FixtureKind::column:
        p.setPen(d.ink(1));
        p.setBrush(d.look.poche);
        p.drawPolygon(d.polygon(outline(solid(room, f))));
        break;
    case FixtureKind::stairs:
        stairsFromAbove(d, r, f);
        break;
    case FixtureKind::vent:
        p.setPen(d.ink(0.8));
        p.setBrush(QBrush(d.look.ink, Qt::Dense6Pattern));
        p.drawPolygon(d.polygon(r.box(r.left, 0, r.right, 45)));
        break;
    default:
        serviceMark(d, r, f);
    }
}

void drawOverhead(const Drawing& d, const Room& room) {
    QPainter& p = d.painter;
    p.setBrush(Qt::NoBrush);
    const auto dashed = [&](const FloorLine& line) {
        p.setPen(QPen(d.look.soft, d.pen, Qt::DashLine));
        for (const Segment& s : onFloor(room, line))
            p.drawLine(d.at(s.from), d.at(s.to));
    };
    // Beside the line, toward the room's far side when `away` is above 0, clear of the line itself.
    const auto note = [&](const FloorLine& line, double away, const QString& said) {
        const auto parts = onFloor(room, line);
        if (parts.empty())
            return;
        const Segment& s = parts.front();
        const Words words{said, lettering(10.5 * d.pen), d.look.soft, 14};
        const QRectF box = wordsAbout({}, words, d.pen);
        const double half = std::abs(line.normal.x) * box.width() / 2 +
                            std::abs(line.normal.y) * box.height() / 2 + 4 * d.pen;
        std::vector<QRectF> places;
        for (const double side : {1.0, -1.0})
            for (const double share : {0.28, 0.5, 0.72, 0.15, 0.85}) {
                const double off = side * std::copysign(std::abs(away) + half, away);
                places.push_back(box.translated(
                    d.at(s.from + (s.to - s.from) * share + line.normal * (off / d.scale))));
            }
        drawWords(d, std::move(places), words);
    };
    const auto told = [&](Length l) { return QString::fromStdString(write(l, d.notation)); };
    for (const Slope& s : room.slopes) {
        const auto line = lineAlong(room, s.wall, s.full);
        dashed(line);
        note(line, -0.1, tr("slopes to %1").arg(told(s.knee)));
    }
    if (const auto inner = room.trayEdge(); !inner.empty()) {
        p.setPen(QPen(d.look.soft, d.pen, Qt::DashLine));
        p.drawPolygon(d.polygon(inner));
    }
    for (const Beam& b : room.beams) {
        dashed(lineAlong(room, b.at.wall, b.at.away.value));
        const auto far = lineAlong(room, b.at.wall, b.at.away.value + b.width);
        dashed(far);
        note(far, 0.1, tr("beam, %1 under").arg(told(room.ceiling - b.drop)));
    }
    for (const FloorStep& s : room.steps) {
        const auto line = lineAlong(room, s.at.wall, s.at.away.value);
        p.setPen(d.ink(1.4));
        for (const Segment& part : onFloor(room, line)) {
            p.drawLine(d.at(part.from), d.at(part.to));
            const Vec2 m = (part.from + part.to) / 2;
            const Vec2 down = s.rise < Length{} ? line.normal : -line.normal;
            const Vec2 tip = m + down * 260;
            const Vec2 side = quarter(down) * 60;
            p.drawLine(d.at(m), d.at(tip));
            p.drawPolyline(d.polygon({tip - down * 90 + side, tip, tip - down * 90 - side}));
        }
        note(line, (s.rise < Length{} ? 1 : -1) * (270 * d.scale),
             tr("down %1").arg(told(abs(s.rise))));
    }
}

void drawFixtureFront(const Drawing& d, const Room& room, int wall, const Fixture& f) {
    QPainter& p = d.painter;
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    double l = f.left.mm();
    double r = (f.left + f.width).mm();
    if (f.kind == FixtureKind::column) {
        // Seen only from the wall it stands near.
        const double away = dot(w.inward(), f.middle - w.start);
        const double s = dot(w.along(), f.middle - w.start);
        if (away > 1200 || away < 0 || s < 0 || s > w.length().mm())
            return;
        l = s - f.width.mm() / 2;
        r = s + f.width.mm() / 2;
    } else if (f.wall != wall) {
        return;
    }
    const double low = f.up.mm();
    const double high = (f.up + f.height).mm();
    const auto box = [&](double l0, double z0, double r0, double z1) {
        p.drawPolygon(d.polygon({onFace(l0, z0), onFace(r0, z0), onFace(r0, z1), onFace(l0, z1)}));
    };
    const auto line = [&](double s0, double z0, double s1, double z1) {
        p.drawLine(d.at(onFace(s0, z0)), d.at(onFace(s1, z1)));
    };
    p.setPen(d.ink(1.2));
    p.setBrush(d.look.board);
    switch (f.kind) {
    case FixtureKind::chimney:
    case FixtureKind::fireplace: {
        box(l, 0, r, high);
        const double middle = (l + r) / 2;
        const double half = f.fireWidth > Length{} ? f.fireWidth.mm() / 2 : (r - l) * 0.24;
        p.setBrush(d.look.graphStrong);
        box(middle - half, 0, middle + half, f.fireHeight > Length{} ? f.fireHeight.mm() : 760.0);
        if (f.hearthDepth > Length{}) {
            p.setPen(d.ink(2.2));
            line(middle - f.hearthWidth.mm() / 2, 0, middle + f.hearthWidth.mm() / 2, 0);
        }
        break;
    }
    case FixtureKind::radiator: {
        box(l, low, r, high);
        p.setPen(d.ink(0.7, d.look.soft));
        const int fins = std::max(3, static_cast<int>((r - l) / 70));
        for (int i = 1; i < fins; ++i)
            line(l + (r - l) * i / fins, low + 20, l + (r - l) * i / fins, high - 20);
        break;
    }
    case FixtureKind::builtIn: {
        box(l, low, r, high);
        p.setPen(d.ink(0.7, d.look.soft));
        const int parts = std::max(1, static_cast<int>(std::lround((r - l) / 600)));
        for (int i = 1; i < parts; ++i)
            line(l + (r - l) * i / parts, low, l + (r - l) * i / parts, high);
        for (double z = low + 350; z < high - 100; z += 350)
            line(l, z, r, z);
        break;
    }
    case FixtureKind::halfWall:
        p.setBrush(QBrush(d.look.poche, Qt::BDiagPattern));
        box(l, 0, r, high);
        break;
    case FixtureKind::column:
        p.setBrush(QBrush(d.look.poche, Qt::Dense6Pattern));
        box(l, 0, r, high);
        break;
    case FixtureKind::stairs: {
        std::vector<Vec2> profile;
        const double step = f.going.mm() * (f.upRight ? 1 : -1);
        double s = f.upRight ? l : r;
        double z = 0;
        profile.push_back(onFace(s, 0));
        for (int i = 0; i < f.risers; ++i) {
            z += f.riser.mm();
            profile.push_back(onFace(s, z));
            if (i + 1 < f.risers)
                s += step;
            profile.push_back(onFace(s, z));
        }
        profile.push_back(onFace(s, 0));
        p.drawPolygon(d.polygon(profile));
        break;
    }
    case FixtureKind::outlet:
    case FixtureKind::lightSwitch: {
        p.setPen(d.ink(1));
        p.setBrush(d.look.floor);
        box(l - 35, low - 57, l + 35, low + 57);
        if (f.kind == FixtureKind::lightSwitch)
            line(l, low - 18, l, low + 18);
        else
            for (const double dz : {-22.0, 22.0})
                p.drawEllipse(d.at(onFace(l, low + dz)), 1.2 * d.pen, 1.2 * d.pen);
        break;
    }
    case FixtureKind::vent:
        p.setPen(d.ink(0.8));
        box(l, low, r, high);
        for (double z = low + 25; z < high; z += 25)
            line(l + 10, z, r - 10, z);
        break;
    case FixtureKind::wallLight: {
        const double half = std::max(f.width.mm() / 2, 90.0);
        const double tall = std::max(f.height.mm() / 2, 110.0);
        p.drawPolygon(
            d.polygon({onFace(l - half * 0.7, low - tall), onFace(l + half * 0.7, low - tall),
                       onFace(l + half, low + tall), onFace(l - half, low + tall)}));
        break;
    }
    }
}

} // namespace mezzet::sheets
