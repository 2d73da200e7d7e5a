// What is over the floor, and the levels of the floor itself.
#include "geometry/polygon.h"
#include "room/room.h"

#include <algorithm>

namespace mezzet {

namespace {

double awayFrom(const Room& room, int wall, Vec2 p) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    return dot(w.inward(), p - w.start);
}

} // namespace

FloorLine lineAlong(const Room& room, int wall, Length away) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    return {w.inward(), dot(w.inward(), w.start) + away.mm()};
}

std::vector<Segment> onFloor(const Room& room, const FloorLine& line) {
    const Vec2 along = -quarter(line.normal);
    std::vector<double> cuts;
    const auto& e = room.edge;
    for (std::size_t i = 0; i < e.size(); ++i) {
        const Vec2 a = e[i];
        const Vec2 b = e[(i + 1) % e.size()];
        const double da = dot(line.normal, a) - line.offset;
        const double db = dot(line.normal, b) - line.offset;
        if ((da < 0) != (db < 0))
            cuts.push_back(dot(along, a + (b - a) * (da / (da - db))));
    }
    std::sort(cuts.begin(), cuts.end());
    std::vector<Segment> out;
    for (std::size_t i = 0; i + 1 < cuts.size(); i += 2) {
        const Vec2 base = line.normal * line.offset;
        out.push_back({base + along * cuts[i], base + along * cuts[i + 1]});
    }
    return out;
}

Length Room::ceilingAt(Vec2 p) const {
    double h = ceiling.mm();
    if (const auto inner = trayEdge(); !inner.empty() && insideOutline(inner, p))
        h += tray->up.mm();
    for (const Slope& s : slopes) {
        const double away = awayFrom(*this, s.wall, p);
        if (away < s.full.mm())
            h = std::min(h,
                         s.knee.mm() + (ceiling - s.knee).mm() * std::max(away, 0.0) / s.full.mm());
    }
    for (const Beam& b : beams) {
        const double away = awayFrom(*this, b.at.wall, p) - b.at.away.value.mm();
        if (away >= 0 && away <= b.width.mm())
            h = std::min(h, (ceiling - b.drop).mm());
    }
    for (const Recess& r : recesses) {
        if (r.height <= Length{})
            continue;
        const Wall& w = walls[static_cast<std::size_t>(r.wall)];
        const double s = dot(w.along(), p - w.start);
        if (awayFrom(*this, r.wall, p) < 0 && s >= r.left.mm() && s <= (r.left + r.width).mm())
            h = std::min(h, r.height.mm());
    }
    return Length::millimetres(h);
}

Length Room::levelAt(Vec2 p) const {
    Length level;
    for (const FloorStep& s : steps)
        if (awayFrom(*this, s.at.wall, p) > s.at.away.value.mm())
            level += s.rise;
    return level;
}

std::vector<Vec2> Room::topOf(int wall) const {
    const Wall& w = walls[static_cast<std::size_t>(wall)];
    const double length = w.length().mm();
    // Each slope is a straight line over the wall, h = a + b s, held to the full height.
    struct Line {
        double a;
        double b;
    };
    std::vector<Line> lines{{ceiling.mm(), 0}};
    for (const Slope& s : slopes) {
        const double rate = (ceiling - s.knee).mm() / s.full.mm();
        lines.push_back({s.knee.mm() + rate * awayFrom(*this, s.wall, w.start),
                         rate * dot(walls[static_cast<std::size_t>(s.wall)].inward(), w.along())});
    }
    std::vector<double> at{0, length};
    for (std::size_t i = 0; i < lines.size(); ++i) {
        for (std::size_t k = 0; k < i; ++k) {
            const double db = lines[i].b - lines[k].b;
            if (std::abs(db) < 1e-12)
                continue;
            const double s = (lines[k].a - lines[i].a) / db;
            if (s > 0 && s < length)
                at.push_back(s);
        }
    }
    std::sort(at.begin(), at.end());
    std::vector<Vec2> out;
    for (const double s : at) {
        double h = lines.front().a;
        for (const Line& l : lines)
            h = std::min(h, l.a + l.b * s);
        // Three in a line need only two.
        if (out.size() >= 2 &&
            std::abs(cross(out.back() - out[out.size() - 2], Vec2{s, h} - out.back())) < 1e-6)
            out.back() = {s, h};
        else
            out.push_back({s, h});
    }
    return out;
}

std::vector<Vec2> Room::trayEdge() const {
    if (!tray || !closed)
        return {};
    std::vector<Vec2> out;
    const std::size_t n = walls.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Wall& before = walls[(i + n - 1) % n];
        const Wall& next = walls[i];
        const Vec2 a = before.inward();
        const Vec2 b = next.inward();
        const double det = cross(a, b);
        if (std::abs(det) < 1e-6) {
            out.push_back(next.start + b * tray->border.mm());
            continue;
        }
        out.push_back(next.start + Vec2{b.y - a.y, a.x - b.x} * (tray->border.mm() / det));
    }
    if (signedArea(out) <= 0 || selfCrossing(out))
        return {};
    for (std::size_t i = 0; i < n; ++i)
        if (dot(out[(i + 1) % n] - out[i], walls[i].along()) <= 0)
            return {};
    return out;
}

} // namespace mezzet
