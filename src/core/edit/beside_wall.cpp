#include "edit/beside_wall.h"

#include "edit/landing.h"
#include "geometry/polygon.h"
#include "scheme/on_wall.h"
#include "scheme/resolve.h"

#include <cmath>

#include <fmt/format.h>

namespace mezzet {

using Is = Target::Is;

std::optional<int> wallIn(const Target& t, const Room& room) {
    if (t.is == Is::wall)
        return t.index;
    for (const Opening& o : room.openings)
        if (t == targetOf(o))
            return o.wall;
    const Fixture* f = fixtureOf(room, t);
    return f != nullptr ? std::optional(f->wall) : std::nullopt;
}

std::optional<int> wallAcross(const Room& room, int wall) {
    const Wall& own = room.walls[static_cast<std::size_t>(wall)];
    std::optional<int> best;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& o = room.walls[i];
        constexpr double across = -0.9; // the cosine of the angle between what they face
        if (dot(o.inward(), own.inward()) < across &&
            (!best || o.length() > room.walls[static_cast<std::size_t>(*best)].length()))
            best = static_cast<int>(i);
    }
    return best;
}

std::optional<int> wallOf(const Target& t, const Scene& scene) {
    return t.is == Is::piece ? wallBehind(scene, t.piece) : wallIn(t, *scene.room);
}

std::vector<std::string> cornersToStandIn(const Room& room) {
    std::vector<std::string> out;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& next = room.walls[(i + 1) % room.walls.size()];
        if (dot(room.walls[i].inward(), next.along()) > 0.2)
            out.push_back(fmt::format("corner {}{}", room.walls[i].name, next.name));
    }
    return out;
}

Side freerSide(const Target& t, int wall, const Scene& scene) {
    const auto box = boxOn(t, wall, scene);
    const double length = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    return box && box->low.x > length - box->high.x ? Side::left : Side::right;
}

std::vector<Tie> besideInWall(const Target& t, int wall, Side side, Length gap, const Piece& p,
                              const Scene& scene) {
    const auto box = boxOn(t, wall, scene);
    if (!box)
        return {};
    const int walls = static_cast<int>(scene.room->walls.size());
    const double length = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    const bool left = side == Side::left;
    const double off = (left ? box->low.x : length - box->high.x) - gap.mm() - p.size.width.mm();
    if (off < 0)
        return {};
    Tie against;
    against.kind = Tie::Kind::against;
    against.of = wallTarget(wall);
    Tie corner;
    corner.kind = Tie::Kind::fromCorner;
    corner.of.is = Target::Is::corner;
    corner.of.index = left ? wall : (wall + 1) % walls;
    corner.of.alongNext = left;
    corner.distance = Length::millimetres(off);
    return {against, corner};
}

std::vector<Tie> besideFreely(const Target& t, int wall, Length gap, const Piece& p,
                              const Scene& scene) {
    const Side first = freerSide(t, wall, scene);
    const Side other = first == Side::left ? Side::right : Side::left;
    const auto box = boxOn(t, wall, scene);
    const Wall& w = scene.room->walls[static_cast<std::size_t>(wall)];
    const Length step = Length::centimetres(5);
    // Beyond that it is not beside it any more; a gap that is said is kept.
    const Length far = gap > Length{} ? Length{} : Length::metres(1.2);
    for (Length off = gap; box && off <= gap + far; off = off + step) {
        std::vector<Tie> inAWay;
        for (const Side side : {first, other}) {
            auto ties = besideInWall(t, wall, side, off, p, scene);
            if (ties.empty())
                continue;
            const double half = p.size.width.mm() / 2;
            const double x =
                side == Side::left ? box->low.x - off.mm() - half : box->high.x + off.mm() + half;
            const Pose pose{w.start + w.along() * x + w.inward() * (p.size.depth.mm() / 2),
                            directionOf(w.along())};
            if (clearOf(scene, p, pose, true))
                return ties;
            // Before a door only where it would have to be farther off.
            if (inAWay.empty() && clearOf(scene, p, pose))
                inAWay = std::move(ties);
        }
        if (!inAWay.empty())
            return inAWay;
    }
    return besideInWall(t, wall, first, gap, p, scene);
}

std::optional<Target> nextInWall(const Target& t, int wall, Side side, const Scene& scene) {
    const auto own = boxOn(t, wall, scene);
    if (!own)
        return {};
    const bool left = side == Side::left;
    const auto& walls = scene.room->walls;
    double near = left ? 0 : walls[static_cast<std::size_t>(wall)].length().mm();
    Target best;
    best.is = Is::corner;
    best.index = left ? wall : (wall + 1) % static_cast<int>(walls.size());
    best.alongNext = left;
    const auto closer = [&](const Target& o) {
        const auto box = o == t ? std::nullopt : boxOn(o, wall, scene);
        if (!box)
            return;
        const double edge = left ? box->high.x : box->low.x;
        if (left ? edge > near && edge <= own->low.x : edge < near && edge >= own->high.x) {
            near = edge;
            best = o;
        }
    };
    for (const Opening& o : scene.room->openings)
        if (o.wall == wall)
            closer(targetOf(o));
    for (const Fixture& f : scene.room->fixtures)
        if (f.wall == wall && f.takesFloor())
            closer(targetOf(f));
    return best;
}

std::optional<WallFaced> wallFaced(const Scene& scene, int piece) {
    const Piece* p = scene.pieceById(piece);
    const Placed* there = scene.inPlan(piece);
    const Room& room = *scene.room;
    if (p == nullptr || there == nullptr || !room.closed)
        return {};
    const Vec2 from = there->pose.toRoom({0, p->size.depth.mm() / 2});
    const Vec2 way = unit(from - there->pose.toRoom({0, 0}));
    for (const double away : crossingsAlong(room.edge, from, way)) {
        if (away <= 0)
            continue;
        const Vec2 at = from + way * away;
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            constexpr double on = 0.1; // mm
            if (room.edgeWall[i] >= 0 && norm(at - nearestOn({w.start, w.end}, at)) < on &&
                dot(w.inward(), way) < -0.98)
                return WallFaced{room.edgeWall[i], Length::millimetres(away)};
        }
        return {};
    }
    return {};
}

Length keptOff(const Target& t, const Kind& kind, const Room& room, const RuleBook& book) {
    const Fixture* f = fixtureOf(room, t);
    if (f == nullptr)
        return {};
    const Rule* access = book.byId("access");
    // A stool is drawn up to the hearth.
    const bool furniture = (kind.family == Family::seat && kind.role != Role::perch) ||
                           kind.family == Family::table || kind.family == Family::sleep ||
                           kind.family == Family::storage;
    return f->kind == FixtureKind::fireplace && access != nullptr && furniture
               ? std::max(f->hearthDepth, access->setting("fire"))
               : f->hearthDepth;
}

void dropWhatItFacesAnyway(std::vector<Tie>& ties, const Room& room) {
    for (const Tie& back : std::vector<Tie>(ties))
        if (back.kind == Tie::Kind::against && back.of.is == Target::Is::wall)
            std::erase_if(ties, [&](const Tie& t) {
                return t.kind == Tie::Kind::facing && t.of.is == Target::Is::wall &&
                       wallAcross(room, back.of.index) == t.of.index;
            });
}

} // namespace mezzet
