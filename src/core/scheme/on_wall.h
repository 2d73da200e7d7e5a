#pragma once

#include "scheme/resolve.h"

#include <optional>

namespace mezzet {

// A wall's own plane: x along it from its left corner, y up from the floor there, mm.

/// Where a point of a wall's plane is in the room, so far out from the wall's face.
[[nodiscard]] Vec2 offWall(const Wall&, double along, Length out);

/// How far out the face is that something on this stretch of the wall hangs on: a chimney breast it
/// lies wholly before, or else the wall itself.
[[nodiscard]] Length faceOut(const Room&, int wall, double left, double right);

/// A floor piece as it stands in front of a wall.
struct Standing {
    std::size_t index = 0; ///< in the floor as seen from above
    double left = 0;       ///< mm along the wall
    double right = 0;
    double off = 0;  ///< mm from the wall's face to its nearest point
    double base = 0; ///< mm above the floor: what it stands on
};
/// Pieces that stand in front of a wall, within 60 in of it: rugs first, then from the wall out.
[[nodiscard]] std::vector<Standing> standingBefore(const FloorView&, int wall);

/// How something lies on a wall's plane: an opening, what is built in, a hung piece of that wall, a
/// floor piece as seen from straight in front, a rail, the wall itself. Empty when it can't be seen
/// there.
[[nodiscard]] std::optional<Box> boxOn(const Target&, int wall, const Scene&);

/// The line over a stair's nosings, along its wall: height at a place, mm. Level past its top.
[[nodiscard]] double nosingAt(const Fixture& stairs, double along);
/// Whether a place along the wall is over the stairs, or over the landing they lead to: that goes
/// on from the top nosing to the wall's end. A foot before the lowest nosing one stands on them
/// yet.
[[nodiscard]] bool overStairs(const Fixture& stairs, double along);
/// How high the floor one stands on is there, over the floor at the wall's left corner: of stairs
/// the line of their nosings, past their top the landing.
[[nodiscard]] double floorUnder(const Room&, int wall, double along);
/// Its slope there: the riser over the going, signed along the wall; 0 past the top.
[[nodiscard]] double nosingSlope(const Fixture& stairs, double along);
/// The stairs that run along a wall, if any.
[[nodiscard]] const Fixture* stairsOn(const Room&, int wall);

/// The ceiling over a place of a wall, mm.
[[nodiscard]] double ceilingOver(const Room&, int wall, double along);

/// How high a rail of the room runs; nothing when it has none, or for other things.
[[nodiscard]] std::optional<Length> railHeight(const Room&, Target::Is);

/// The wall a floor piece stands against: that of its tie, else the nearest one behind its back
/// within reach. Of what hangs, its wall.
[[nodiscard]] std::optional<int> wallBehind(const Scene&, int piece);

/// The room's walls by how far a piece's outline is from each, the nearest first. None for what is
/// in no plan.
struct WallNear {
    int wall = 0;
    Length gap;
};
[[nodiscard]] std::vector<WallNear> wallsNear(const Scene&, int piece);

/// The outline of what is kept in a group about its centre: sizes and offsets of its members.
[[nodiscard]] Box groupBox(const Scheme&, int group);

} // namespace mezzet
