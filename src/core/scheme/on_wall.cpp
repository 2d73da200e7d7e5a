#include "scheme/on_wall.h"

#include "geometry/gap.h"
#include "scheme/faces.h"
#include "scheme/surfaces.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// What stands farther from the wall than this is not furniture of that wall.
constexpr Length near = Length::inches(60);

using faces::wallOf;

/// How far a floor shape reaches along a wall, from its left corner, and off it.
Standing seenFrom(const Shape& s, const Wall& w) {
    const double base = dot(w.start, w.along());
    Standing out;
    out.left = -extent(s, -w.along()) - base;
    out.right = extent(s, w.along()) - base;
    out.off = -extent(s, -w.inward()) - dot(w.start, w.inward());
    return out;
}

Box box(double left, double right, double low, double high) {
    Box b;
    b.include(Vec2{left, low});
    b.include(Vec2{right, high});
    return b;
}

double reach(const Piece& p, Angle turn, Vec2 direction) {
    return extent(placed(p.shape(), drawn(p.on, {{0, 0}, turn})), direction);
}

double stairStart(const Fixture& f) {
    return (f.upRight ? f.left : f.left + f.width).mm();
}

} // namespace

std::optional<Length> railHeight(const Room& room, Target::Is is) {
    const auto& m = room.mouldings;
    switch (is) {
    case Target::Is::skirting:
        return m.skirting;
    case Target::Is::chairRail:
        return m.chairRail;
    case Target::Is::pictureRail:
        return m.pictureRail;
    case Target::Is::none:
    case Target::Is::piece:
    case Target::Is::wall:
    case Target::Is::corner:
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
    case Target::Is::chimney:
    case Target::Is::room:
    case Target::Is::fixture:
    case Target::Is::ceiling:
        return {};
    }
    return {};
}

Vec2 offWall(const Wall& w, double along, Length out) {
    return w.start + w.along() * along + w.inward() * out.mm();
}

Length faceOut(const Room& room, int wall, double left, double right) {
    for (const Fixture& f : room.fixtures)
        if (f.wall == wall && f.isBreast() && left >= f.left.mm() - 1 &&
            right <= (f.left + f.width).mm() + 1)
            return f.depth;
    return {};
}

std::vector<Standing> standingBefore(const FloorView& scene, int wall) {
    const Wall& w = wallOf(*scene.room, wall);
    const double length = w.length().mm();
    std::vector<Standing> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        Standing x = seenFrom(scene.placed[i].shape, w);
        x.index = i;
        if (x.right <= 0 || x.left >= length || x.off > near.mm() || x.off < -near.mm())
            continue;
        x.left = std::max(x.left, 0.0);
        x.right = std::min(x.right, length);
        x.base = baseOf(scene, i).mm();
        out.push_back(x);
    }
    std::stable_sort(out.begin(), out.end(), [&](const Standing& a, const Standing& b) {
        const bool fa = scene.piece(a.index).kind->flat();
        const bool fb = scene.piece(b.index).kind->flat();
        return fa != fb ? fa : a.off < b.off;
    });
    return out;
}

std::optional<Box> boxOn(const Target& t, int wall, const Scene& scene) {
    const Room& room = *scene.room;
    const Wall& w = wallOf(room, wall);
    const double length = w.length().mm();
    switch (t.is) {
    case Target::Is::piece: {
        const FloorView floor(scene);
        for (std::size_t i = 0; i < floor.placed.size(); ++i)
            if (floor.placed[i].id == t.piece) {
                const Standing x = seenFrom(floor.placed[i].shape, w);
                const double base = baseOf(floor, i).mm();
                return box(x.left, x.right, base, base + floor.piece(i).size.height.mm());
            }
        const Piece* p = scene.pieceById(t.piece);
        if (p == nullptr || !p->onWall())
            return {};
        return bounds(scene.byId(t.piece)->shape);
    }
    case Target::Is::wall:
    case Target::Is::room:
        return box(0, length, 0, ceilingOver(room, wall, length / 2));
    case Target::Is::corner: {
        const int count = static_cast<int>(room.walls.size());
        if (t.index == wall)
            return box(0, 0, 0, room.ceiling.mm());
        if (t.index == (wall + 1) % count)
            return box(length, length, 0, room.ceiling.mm());
        return {};
    }
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
        for (const Opening& o : room.openings)
            if (t == targetOf(o))
                return box(o.left.mm(), (o.left + o.width).mm(), o.sill.mm(), o.head().mm());
        return {};
    case Target::Is::chimney:
    case Target::Is::fixture: {
        const Fixture* f = fixtureOf(room, t);
        if (f == nullptr)
            return {};
        if (f->isPoint())
            return box(f->left.mm(), f->left.mm(), f->up.mm(), f->up.mm());
        const double top = f->toCeiling ? room.ceiling.mm() : (f->up + f->height).mm();
        return box(f->left.mm(), (f->left + f->width).mm(), f->up.mm(), top);
    }
    case Target::Is::ceiling: {
        double low = room.ceiling.mm();
        for (const Vec2 p : room.topOf(wall))
            low = std::min(low, p.y);
        return box(0, length, low, low);
    }
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        if (const auto h = railHeight(room, t.is))
            return box(0, length, h->mm(), h->mm());
        return {};
    case Target::Is::none:
        return {};
    }
    return {};
}

double nosingAt(const Fixture& f, double along) {
    const double way = f.upRight ? 1 : -1;
    const double up = (along - stairStart(f)) * way;
    const double most = (f.risers - 1) * f.going.mm();
    if (f.going <= Length{})
        return 0;
    return f.riser.mm() * (1 + std::min(up, most) / f.going.mm());
}

bool overStairs(const Fixture& f, double along) {
    const double foot = Length::inches(12).mm();
    return f.upRight ? along > f.left.mm() - foot : along < (f.left + f.width).mm() + foot;
}

double floorUnder(const Room& room, int wall, double along) {
    const Fixture* stairs = stairsOn(room, wall);
    return stairs != nullptr && overStairs(*stairs, along) ? std::max(nosingAt(*stairs, along), 0.0)
                                                           : 0.0;
}

double nosingSlope(const Fixture& f, double along) {
    const double way = f.upRight ? 1 : -1;
    const double up = (along - stairStart(f)) * way;
    if (f.going <= Length{} || up >= (f.risers - 1) * f.going.mm())
        return 0;
    return way * (f.riser / f.going);
}

const Fixture* stairsOn(const Room& room, int wall) {
    for (const Fixture& f : room.fixtures)
        if (f.wall == wall && f.kind == FixtureKind::stairs)
            return &f;
    return nullptr;
}

double ceilingOver(const Room& room, int wall, double along) {
    const auto top = room.topOf(wall);
    for (std::size_t i = 0; i + 1 < top.size(); ++i)
        if (along >= top[i].x && along <= top[i + 1].x && top[i + 1].x > top[i].x)
            return top[i].y +
                   (top[i + 1].y - top[i].y) * (along - top[i].x) / (top[i + 1].x - top[i].x);
    return room.ceiling.mm();
}

std::optional<int> wallBehind(const Scene& scene, int piece) {
    const Piece* p = scene.pieceById(piece);
    if (p != nullptr && p->onWall())
        return p->wall();
    const Placed* where = scene.fromAbove(piece);
    if (p == nullptr || where == nullptr)
        return {};
    for (const Tie& t : p->ties)
        if (t.kind == Tie::Kind::against && t.of.is == Target::Is::wall)
            return t.of.index;
    std::optional<int> best;
    double least = near.mm();
    for (std::size_t i = 0; i < scene.room->walls.size(); ++i) {
        const Wall& w = scene.room->walls[i];
        const Standing s = seenFrom(where->shape, w);
        const double middle = (s.left + s.right) / 2;
        // Its back is to the wall, or it has no back worth naming: the nearest wall then.
        const bool backed = dot(where->pose.front(), w.inward()) > 0.7;
        const double far = s.off + (backed ? 0 : near.mm() / 2);
        if (middle > 0 && middle < w.length().mm() && s.off > -near.mm() && far < least) {
            least = far;
            best = static_cast<int>(i);
        }
    }
    return best;
}

std::vector<WallNear> wallsNear(const Scene& scene, int piece) {
    const Placed* there = scene.inPlan(piece);
    std::vector<WallNear> out;
    for (std::size_t i = 0; there != nullptr && i < scene.room->walls.size(); ++i) {
        const Wall& w = scene.room->walls[i];
        out.push_back(
            {static_cast<int>(i), gapBetween(there->shape, stretch({w.start, w.end})).apart});
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const WallNear& a, const WallNear& b) { return a.gap < b.gap; });
    return out;
}

Box groupBox(const Scheme& scheme, int group) {
    Box b;
    for (const Piece* p : scheme.members(group))
        for (const Tie& t : p->ties)
            if (t.kind == Tie::Kind::inGroup) {
                const Vec2 at{t.distance.mm(), t.second.mm()};
                b.include(at + Vec2{-reach(*p, p->pose.turn, {-1, 0}),
                                    -reach(*p, p->pose.turn, {0, -1})});
                b.include(at +
                          Vec2{reach(*p, p->pose.turn, {1, 0}), reach(*p, p->pose.turn, {0, 1})});
            }
    return b;
}

} // namespace mezzet
