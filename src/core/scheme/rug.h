#pragma once

#include "rugs/cut_to_room.h"
#include "scheme/scheme.h"

namespace mezzet {

/// What is told of a rug; as nothing were told, for one of which nothing is.
[[nodiscard]] const RugWork& rugOf(const Piece&);
/// A rug with something more told of it.
void tellRug(Piece&, RugWork);

/// It keeps the outline it has, and follows its room and its stairs no longer.
void dropFit(Piece&);
/// Its outline grown by so much across its size and along it; it follows its room no longer.
void stretchOutline(Piece&, double across, double along);

/// The stairs a rug lies on; null where it lies on none, or they are not there.
[[nodiscard]] const Fixture* stairsUnder(const Room&, const RugWork&);
/// What lies on stairs, as it goes up them; their nosings are not taped.
[[nodiscard]] StairRunner runnerOn(const Piece&, const Fixture& stairs, Length nosing);

/// A runner of stairs as it lies before it goes up them, so long: its width is its length.
[[nodiscard]] Piece unrolled(const Piece&, Length developed);

/// Left and right change places, in its outline or among its edges; it follows its room no longer.
void mirrorRug(Piece&);

/// Its outline is cut, and not that of its kind.
[[nodiscard]] bool isCut(const Piece&);
/// The pad under it, the usual one where nothing was said; nothing for none.
[[nodiscard]] Length padUnder(const Piece&, Length usual);

/// The outline of what lies on the floor, in the order its edges are counted; mm. Of a rectangle
/// from its back's left corner as you face it, clockwise; curves are cut into chords within
/// `tolerance`.
[[nodiscard]] std::vector<Vec2> trueOutline(const Piece&, const Pose&,
                                            Length tolerance = Length::millimetres(0.05));
/// The edges one could finish by themselves: from where to where. A round one has one, which ends
/// where it begins.
struct RugSide {
    Vec2 from;
    Vec2 to;
    Length length;
};
[[nodiscard]] std::vector<RugSide> sidesOf(const Piece&, const Pose&);

/// Whether a point of the floor lies on it.
[[nodiscard]] bool covers(const Piece&, const Shape& placed, const Pose&, Vec2 p);

/// Where an outline goes farthest through a wall, or round the outside of a corner.
struct OutOfRoom {
    double by = 0; ///< mm
    int wall = 0;
    Vec2 at;     ///< on the outline, or in it
    Vec2 inside; ///< the nearest place on the wall, or on the outline's edge
};
/// None where it stays inside, to a hundredth of a millimetre, and in an open room.
[[nodiscard]] std::optional<OutOfRoom> outOfRoom(const Room&, const std::vector<Vec2>& outline);

/// Exact for ellipses too; mm².
[[nodiscard]] double areaOf(const Piece&);
[[nodiscard]] Length perimeterOf(const Piece&);

/// Gives a rug corners, in the floor's x and y: its place, its size and its outline. Problem: fewer
/// than three, more than mostRugCorners, corners that cross, or that hold nothing.
[[nodiscard]] std::optional<Problem> giveCorners(Piece&, const std::vector<Vec2>& corners);

/// Cuts a rug to its room as its fit says. Problem: an open room, a border that leaves nothing, a
/// wall or opening that is not there.
[[nodiscard]] std::optional<Problem> cutToFit(Piece&, const Room&, std::vector<std::string>& told);

/// An outline's corners at most.
inline constexpr std::size_t mostOutlineCorners = 400;

} // namespace mezzet
