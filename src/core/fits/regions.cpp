#include "fits/regions.h"

#include "geometry/gap.h"
#include "geometry/geos.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <memory>

namespace mezzet {

namespace {

/// Where the middle of a piece lies when it touches something: that thing, swept by the piece
/// turned about its middle.
std::vector<Vec2> sweptBy(const std::vector<Vec2>& thing, const std::vector<Vec2>& piece) {
    std::vector<Vec2> sums;
    for (const Vec2 a : thing)
        for (const Vec2 b : piece)
            sums.push_back(a - b);
    return convexHull(std::move(sums));
}

/// How far chords may stand off a curve.
constexpr Length chords = Length::millimetres(1);

void rings(const Geos& geos, const GEOSGeometry* g, AllowedRegion& out) {
    const auto take = [&](const GEOSGeometry* ring) {
        auto points = geos.cornersOf(ring);
        if (signedArea(points) < 0)
            std::reverse(points.begin(), points.end());
        return points;
    };
    const int n = GEOSGetNumGeometries_r(geos.context(), g);
    for (int i = 0; i < n; ++i) {
        const auto* one = GEOSGetGeometryN_r(geos.context(), g, i);
        if (GEOSGeomTypeId_r(geos.context(), one) != GEOS_POLYGON ||
            GEOSisEmpty_r(geos.context(), one) == 1)
            continue;
        out.outlines.push_back(take(GEOSGetExteriorRing_r(geos.context(), one)));
        const int holes = GEOSGetNumInteriorRings_r(geos.context(), one);
        for (int k = 0; k < holes; ++k)
            out.holes.push_back(take(GEOSGetInteriorRingN_r(geos.context(), one, k)));
    }
}

} // namespace

AllowedRegion allowedRegion(const FloorView& scene, const Piece& piece, Angle turn) {
    AllowedRegion out;
    out.turn = turn;
    const Room& room = *scene.room;
    if (!room.closed)
        return out;
    const double w = piece.size.width.mm() / 2;
    const double d = piece.size.depth.mm() / 2;
    const auto& use = piece.kind->use;
    const bool opens = piece.kind->family == Family::storage || !piece.kind->opens.empty();
    // A touch is no overlap: a hair less all round, and less than what counts as contact.
    constexpr double hair = 0.004;
    const auto boxOf = [&](double front) {
        std::vector<Vec2> box{Vec2{-w + hair, -d + hair}, Vec2{w - hair, -d + hair},
                              Vec2{w - hair, d + front - hair}, Vec2{-w + hair, d + front - hair}};
        if (piece.footprint.form == FootprintForm::oval && front <= 0) {
            box = outline(piece.shape(), Length::millimetres(0.2));
            for (Vec2& p : box)
                p = p * (1 - hair / std::min(w, d));
        }
        for (Vec2& p : box)
            p = turned(p, turn);
        return box;
    };
    const auto body = boxOf(0);
    const auto inUse = boxOf(opens && !piece.kind->opensSeldom ? use.front.mm() : 0);
    Geos geos;
    GEOSGeometry* free = geos.polygon(room.edge);
    const auto cut = [&](const std::vector<Vec2>& ring) {
        if (ring.size() < 3 || !free)
            return;
        const GEOSGeometry* away = geos.polygon(ring);
        free = geos.own(GEOSDifference_r(geos.context(), free, away));
    };
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall s = room.stretchAt(i);
        cut(sweptBy({s.start, s.end}, inUse));
    }
    for (const Fixture& f : room.fixtures)
        if (f.takesFloor() && f.up < piece.size.height) {
            const Shape s = solid(room, f);
            for (const Convex& c : s.all())
                cut(sweptBy(outline(c, chords), inUse));
        }
    for (const Opening& o : room.openings) {
        if (const auto swing = doorSwing(room, o))
            for (const Convex& c : swing->all())
                cut(sweptBy(outline(c, chords), body));
        // Nothing stands across a doorway.
        if (o.kind != OpeningKind::window) {
            const Wall& wall = room.walls[static_cast<std::size_t>(o.wall)];
            const Vec2 in = wall.inward() * 2.0;
            cut(sweptBy({wall.at(o.left), wall.at(o.left + o.width), wall.at(o.left + o.width) + in,
                         wall.at(o.left) + in},
                        body));
        }
    }
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (!p.kind->takesFloor() || p.id == piece.id)
            continue;
        for (const Convex& c : scene.placed[i].shape.all())
            cut(sweptBy(outline(c, chords), inUse));
        // Nor in the room another needs.
        if (p.kind->family == Family::storage && p.kind->use.front > Length{}) {
            const double hw = p.size.width.mm() / 2;
            const double hd = p.size.depth.mm() / 2;
            const double f = p.kind->use.front.mm();
            const Pose& pose = scene.placed[i].pose;
            cut(sweptBy({pose.toRoom({-hw, hd}), pose.toRoom({hw, hd}), pose.toRoom({hw, hd + f}),
                         pose.toRoom({-hw, hd + f})},
                        body));
        }
    }
    if (free)
        rings(geos, free, out);
    // Slivers a hair wide are nowhere.
    std::erase_if(out.outlines, [](const auto& ring) {
        Box b;
        for (const Vec2 p : ring)
            b.include(p);
        return ring.size() < 3 || std::max(b.size().x, b.size().y) < 1;
    });
    return out;
}

double areaOfAll(const std::vector<AllowedRegion>& regions) {
    Geos geos;
    auto all = geos.own(GEOSGeom_createEmptyPolygon_r(geos.context()));
    for (const AllowedRegion& r : regions) {
        auto one = geos.own(GEOSGeom_createEmptyPolygon_r(geos.context()));
        for (const auto& ring : r.outlines)
            if (const auto more = geos.polygon(ring); one && more)
                one = geos.own(GEOSUnion_r(geos.context(), one, more));
        for (const auto& ring : r.holes)
            if (const auto hole = geos.polygon(ring); one && hole)
                one = geos.own(GEOSDifference_r(geos.context(), one, hole));
        if (all && one)
            all = geos.own(GEOSUnion_r(geos.context(), all, one));
    }
    double area = 0;
    if (all)
        GEOSArea_r(geos.context(), all, &area);
    return area;
}

std::optional<std::pair<double, double>> spanInStrip(const Convex& c, const Wall& w, double depth) {
    // Clipped to the strip between the wall and `depth`.
    const Vec2 in = w.inward();
    auto part = clipped(outline(c, chords), in, dot(w.start, in));
    part = clipped(part, -in, -dot(w.start, in) - depth);
    if (part.empty())
        return {};
    double from = 1e300;
    double to = -1e300;
    for (const Vec2 p : part) {
        const double s = dot(p - w.start, w.along());
        from = std::min(from, s);
        to = std::max(to, s);
    }
    return std::pair{from, to};
}

} // namespace mezzet
