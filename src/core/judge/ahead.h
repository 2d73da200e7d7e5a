#pragma once

#include "geometry/gap.h"
#include "geometry/lane.h"
#include "scheme/resolve.h"

#include <algorithm>
#include <optional>
#include <tuple>

namespace mezzet {

/// The first thing in a lane: how far along it, what, and where.
struct Stop {
    double ahead = 0; ///< mm
    Target what;
    Vec2 at;
    Vec2 centre; ///< of the thing, from where the lane begins

    /// Of two as near, what is built comes before pieces, and of those the one whose middle is
    /// nearer, so that it doesn't hang on which was placed first.
    [[nodiscard]] bool before(const Stop& other) const {
        const bool piece = what.is == Target::Is::piece;
        const bool otherPiece = other.what.is == Target::Is::piece;
        if (ahead != other.ahead || piece != otherPiece || !piece)
            return ahead < other.ahead || (ahead == other.ahead && !piece && otherPiece);
        const double a = norm(centre);
        const double b = norm(other.centre);
        return std::tie(a, centre.x, centre.y) < std::tie(b, other.centre.x, other.centre.y);
    }

    /// Takes another when it comes before.
    static void offer(std::optional<Stop>& best, const Lane& lane, Length look, const Target& what,
                      const Shape& s) {
        const auto p = firstInLane(lane, s);
        if (!p)
            return;
        const double ahead = std::max(dot(*p - lane.from, lane.along), 0.0);
        const Stop one{ahead, what, *p, s.centre - lane.from};
        if (ahead <= look.mm() && (!best || one.before(*best)))
            best = one;
    }
};

/// The first wall, thing built in, or piece that is wanted (by its index in the scene) in a lane,
/// no farther than `look`. Rugs, and what stands on other pieces, are in nobody's way.
template <class Wanted>
std::optional<Stop> firstAhead(const FloorView& scene, const Lane& lane, Length look,
                               Wanted wanted) {
    std::optional<Stop> best;
    const auto offer = [&](const Target& t, const Shape& s) {
        Stop::offer(best, lane, look, t, s);
    };
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        if (dot(w.inward(), lane.along) >= 0)
            continue;
        offer(wallTarget(room.edgeWall[i]), stretch({w.start, w.end}));
    }
    for (const auto& f : room.fixtures)
        if (f.takesFloor())
            offer(targetOf(f), solid(room, f));
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Placed& p = scene.placed[i];
        if (norm(p.shape.centre - lane.from) > p.shape.reach + look.mm() + lane.halfWidth.mm() ||
            !scene.piece(i).kind->takesFloor() || !wanted(i))
            continue;
        offer(pieceTarget(p.id), p.shape);
    }
    return best;
}

/// The floor before one side of a piece, as wide as that side, and what comes first there. Left and
/// right are as one faces it, as in “left of”.
struct SideAhead {
    Lane lane;
    std::optional<Stop> stop;
};
/// Chairs that are drawn up to it are part of how it is used, and stop nothing.
[[nodiscard]] SideAhead aheadOf(const FloorView&, const Piece&, const Placed& where, Side);

} // namespace mezzet
