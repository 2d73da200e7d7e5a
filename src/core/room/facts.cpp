#include "room/facts.h"

#include "geometry/polygon.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using Outline = std::vector<Vec2>;

/// The part of an outline where n·p >= c (Sutherland and Hodgman). Of a bent outline the parts may
/// stay joined by edges that run there and back: areas and integrals are right all the same.
Outline clipped(const Outline& in, Vec2 n, double c) {
    Outline out;
    for (std::size_t i = 0; i < in.size(); ++i) {
        const Vec2 a = in[i];
        const Vec2 b = in[(i + 1) % in.size()];
        const double da = dot(n, a) - c;
        const double db = dot(n, b) - c;
        if (da >= 0)
            out.push_back(a);
        if ((da >= 0) != (db >= 0))
            out.push_back(a + (b - a) * (da / (da - db)));
    }
    return out;
}

/// A height over the floor, z + g·p.
struct Plane {
    double z = 0;
    Vec2 g;

    [[nodiscard]] double at(Vec2 p) const { return z + dot(g, p); }
};

/// The integral of a plane's height over an outline, by triangles about its first corner.
double integral(const Outline& o, const Plane& h) {
    double sum = 0;
    for (std::size_t i = 1; i + 1 < o.size(); ++i) {
        const double twice = cross(o[i] - o[0], o[i + 1] - o[0]);
        sum += twice / 2 * (h.at(o[0]) + h.at(o[i]) + h.at(o[i + 1])) / 3;
    }
    return sum;
}

/// A wall's face in mm², openings and all. Curves, bays and alcoves have more wall than their
/// chord.
double faceOf(const Room& room, int wall) {
    const auto top = room.topOf(wall);
    double area = 0;
    for (std::size_t k = 0; k + 1 < top.size(); ++k)
        area += (top[k + 1].x - top[k].x) * (top[k].y + top[k + 1].y) / 2;
    double along = 0;
    for (std::size_t k = 0; k < room.edge.size(); ++k)
        if (room.edgeWall[k] == wall)
            along += room.stretchAt(k).length().mm();
    return area +
           (along - room.walls[static_cast<std::size_t>(wall)].length().mm()) * room.ceiling.mm();
}

class Facts {
public:
    explicit Facts(const Room& room) : room_(room) {}

    RoomFacts run() {
        if (!room_.closed)
            return out_;
        out_.floorArea = room_.floorArea();
        out_.perimeter = room_.perimeter();
        walls();
        overhead();
        levels();
        skirting();
        headroom();
        return out_;
    }

private:
    /// Under each plane of the ceiling where it is the lowest, for a part of the floor.
    template <class Take> void eachPlane(const Outline& floor, Take take) const {
        std::vector<Plane> planes{{room_.ceiling.mm(), {}}};
        for (const Slope& s : room_.slopes) {
            const Wall& w = room_.walls[static_cast<std::size_t>(s.wall)];
            const Vec2 g = w.inward() * ((room_.ceiling - s.knee).mm() / s.full.mm());
            planes.push_back({s.knee.mm() - dot(g, w.start), g});
        }
        for (std::size_t i = 0; i < planes.size(); ++i) {
            Outline part = floor;
            for (std::size_t k = 0; k < planes.size() && !part.empty(); ++k) {
                if (k == i)
                    continue;
                const Vec2 n = planes[k].g - planes[i].g;
                const double c = planes[i].z - planes[k].z;
                if (norm(n) < 1e-12) {
                    if (c > 0 || (c == 0 && k < i))
                        part.clear();
                    continue;
                }
                part = clipped(part, n, c);
            }
            if (part.size() >= 3)
                take(part, planes[i]);
        }
    }

    /// How much longer a column makes the edge of what is painted and skirted, mm: all round it
    /// where it stands free; where it touches a wall, that side is none, nor is the wall behind it.
    [[nodiscard]] double sidesOf(const Fixture& column) const {
        const auto round = outline(solid(room_, column));
        double sum = 0;
        for (std::size_t i = 0; i < round.size(); ++i) {
            const Segment side{round[i], round[(i + 1) % round.size()]};
            const Vec2 middle = (side.from + side.to) / 2;
            bool touches = false;
            for (std::size_t k = 0; k < room_.stretches(); ++k) {
                const Wall w = room_.stretchAt(k);
                touches = touches || norm(middle - nearestOn({w.start, w.end}, middle)) < 1;
            }
            sum += norm(side.to - side.from) * (touches ? -1 : 1);
        }
        return sum;
    }

    void walls() {
        for (std::size_t i = 0; i < room_.walls.size(); ++i)
            out_.wallArea += faceOf(room_, static_cast<int>(i));
        for (const Recess& r : room_.recesses)
            if (r.height > Length{}) // a low alcove's sides are lower; over its back is wall again
                out_.wallArea -= (room_.ceiling - r.height).mm() * r.depth.mm() * 2;
        for (const Opening& o : room_.openings) {
            const double hole = o.width.mm() * o.height.mm();
            out_.openingsArea += hole;
            if (o.kind == OpeningKind::window)
                out_.glassArea += hole;
        }
        for (const Fixture& f : room_.fixtures) {
            if (f.kind == FixtureKind::column)
                out_.wallArea += sidesOf(f) * room_.headroom(f.middle).mm();
            if (!f.isBreast())
                continue;
            out_.wallArea += 2 * f.depth.mm() * room_.ceiling.mm();
            if (f.kind == FixtureKind::fireplace)
                out_.openingsArea += f.fireWidth.mm() * f.fireHeight.mm();
        }
    }

    void overhead() {
        eachPlane(room_.edge, [&](const Outline& part, const Plane& h) {
            out_.volume += integral(part, h);
            out_.ceilingArea += std::abs(signedArea(part)) * std::hypot(1.0, norm(h.g));
        });
        if (const auto inner = room_.trayEdge(); !inner.empty()) {
            out_.volume += signedArea(inner) * room_.tray->up.mm();
            for (std::size_t i = 0; i < inner.size(); ++i)
                out_.ceilingArea +=
                    norm(inner[(i + 1) % inner.size()] - inner[i]) * room_.tray->up.mm();
        }
        for (const Beam& b : room_.beams) {
            const auto from = lineAlong(room_, b.at.wall, b.at.away.value);
            const auto under = clipped(clipped(room_.edge, from.normal, from.offset), -from.normal,
                                       -(from.offset + b.width.mm()));
            out_.volume -= std::abs(signedArea(under)) * b.drop.mm();
        }
        for (const Recess& r : room_.recesses) {
            if (r.height <= Length{} || r.kind != RecessKind::alcove)
                continue;
            out_.volume -= (room_.ceiling - r.height).mm() * r.width.mm() * r.depth.mm();
        }
        for (const Fixture& f : room_.fixtures) {
            if (!f.isBreast() && f.kind != FixtureKind::column)
                continue;
            eachPlane(outline(solid(room_, f)), [&](const Outline& part, const Plane& h) {
                out_.volume -= std::abs(integral(part, h));
            });
            out_.ceilingArea -= std::abs(signedArea(outline(solid(room_, f))));
        }
    }

    void levels() {
        for (const FloorStep& s : room_.steps) {
            const auto line = lineAlong(room_, s.at.wall, s.at.away.value);
            const auto beyond = clipped(room_.edge, line.normal, line.offset);
            out_.volume -= std::abs(signedArea(beyond)) * s.rise.mm();
            for (std::size_t i = 0; i < room_.edge.size(); ++i) {
                const Wall w = room_.stretchAt(i);
                const double from = dot(line.normal, w.start) - line.offset;
                const double to = dot(line.normal, w.end) - line.offset;
                const double share = from > 0 && to > 0 ? 1
                                     : from <= 0 && to <= 0
                                         ? 0
                                         : std::max(from, to) / std::abs(to - from);
                out_.wallArea -= w.length().mm() * share * s.rise.mm();
            }
        }
    }

    void skirting() {
        out_.skirting = out_.perimeter;
        for (const Fixture& f : room_.fixtures)
            if (f.kind == FixtureKind::column)
                out_.skirting += Length::millimetres(sidesOf(f));
        for (const Opening& o : room_.openings)
            if (o.sill < Length::inches(2))
                out_.skirting -= o.width;
        for (const Fixture& f : room_.fixtures) {
            if (f.isBreast())
                out_.skirting += f.depth * 2 - f.fireWidth;
            else if (f.kind == FixtureKind::builtIn && f.up < Length::inches(2))
                out_.skirting -= f.width;
        }
    }

    void headroom() {
        // The extremes of piecewise flat heights lie at corners of their pieces; corners of the
        // floor and the feet of slopes, beams and trays catch them.
        std::vector<Vec2> at = room_.edge;
        const Vec2 m = room_.middle();
        at.push_back(m);
        for (const Slope& s : room_.slopes)
            for (const Segment& part : onFloor(room_, lineAlong(room_, s.wall, s.full)))
                at.insert(at.end(), {part.from, part.to});
        for (const Beam& b : room_.beams)
            for (const Segment& part :
                 onFloor(room_, lineAlong(room_, b.at.wall, b.at.away.value + b.width / 2)))
                at.push_back((part.from + part.to) / 2);
        for (const Vec2 p : room_.trayEdge())
            at.push_back(p + (m - p) * 1e-6);
        bool first = true;
        for (const Vec2 p : at) {
            const Length h = room_.headroom(p + (m - p) * 1e-9);
            out_.headroomLow = first ? h : std::min(out_.headroomLow, h);
            out_.headroomHigh = first ? h : std::max(out_.headroomHigh, h);
            first = false;
        }
    }

    const Room& room_;
    RoomFacts out_;
};

} // namespace

double netAreaOf(const Room& room, int wall) {
    if (!room.closed)
        return 0;
    double area = faceOf(room, wall);
    for (const Opening& o : room.openings)
        if (o.wall == wall)
            area -= o.width.mm() * o.height.mm();
    return area;
}

RoomFacts factsOf(const Room& room) {
    return Facts(room).run();
}

std::vector<std::string> cautionsOf(const Room& room) {
    std::vector<std::string> out;
    const auto any = [&](auto test) {
        return std::any_of(room.fixtures.begin(), room.fixtures.end(), test);
    };
    if (any([](const Fixture& f) { return f.isBreast() || f.kind == FixtureKind::column; }))
        out.emplace_back("Columns and chimney breasts may carry the house: an engineer decides "
                         "before anything is taken away.");
    if (any([](const Fixture& f) { return f.kind == FixtureKind::fireplace; }))
        out.emplace_back("Keep what can burn off the hearth and clear of the fire; ask the local "
                         "code how far.");
    const Notation n{room.units, 16};
    for (const Fixture& f : room.fixtures) {
        if (f.kind != FixtureKind::stairs)
            continue;
        std::string wrong;
        const auto say = [&](bool bad, const char* what, Length l) {
            if (bad)
                wrong += worded("{}{} {}", wrong.empty() ? "" : ", ", what, write(l, n));
        };
        // IRC R311.7.5.1, R311.7.5.2 and R311.7.1.
        say(f.riser > Length::inches(7.75), "riser", f.riser);
        say(f.going < Length::inches(10), "tread", f.going);
        say(f.depth < Length::inches(36), "width", f.depth);
        if (!wrong.empty())
            out.push_back(worded("The {} ({}) may not meet the stair code (IRC R311.7): ask "
                                 "the local authority before changing anything near them.",
                                 f.name(), wrong));
    }
    if (any([](const Fixture& f) {
            return f.kind == FixtureKind::outlet || f.kind == FixtureKind::lightSwitch ||
                   f.kind == FixtureKind::wallLight;
        }))
        out.emplace_back("Cables usually run straight up, down and across from outlets, switches "
                         "and lights: don't drill there.");
    return out;
}

std::string writeArea(double mm2, Units u) {
    return isMetric(u) ? worded("{} m²", decimals(fmt::format("{:.2f}", mm2 / 1e6)))
                       : worded("{} sq ft", decimals(fmt::format("{:.1f}", mm2 / (304.8 * 304.8))));
}

std::string writeVolume(double mm3, Units u) {
    return isMetric(u) ? worded("{} m³", decimals(fmt::format("{:.2f}", mm3 / 1e9)))
                       : worded("{:.0f} cu ft", mm3 / (304.8 * 304.8 * 304.8));
}

std::vector<std::pair<std::string, std::string>> factLines(const RoomFacts& f, Notation n) {
    std::vector<std::pair<std::string, std::string>> out{
        {"floor", writeArea(f.floorArea, n.units)},
        {"walls, less openings", writeArea(f.netWallArea(), n.units)},
        {"openings", writeArea(f.openingsArea, n.units)},
        {"ceiling", writeArea(f.ceilingArea, n.units)},
        {"perimeter", write(f.perimeter, n)},
        {"skirting", write(f.skirting, n)},
        {"volume", writeVolume(f.volume, n.units)}};
    out.emplace_back("headroom",
                     f.headroomLow == f.headroomHigh
                         ? write(f.headroomHigh, n)
                         : worded("{} to {}", write(f.headroomLow, n), write(f.headroomHigh, n)));
    return out;
}

} // namespace mezzet
