#pragma once

#include "project/project.h"
#include "scheme/resolve.h"

#include <vector>

namespace mezzet {

/// Gives a piece one to three figures: width, depth, height; a diameter, and a height, for a round.
/// A top or a back at the old height follows; the cushion of a seat stays.
void giveSizes(Piece&, const std::vector<Length>&);

/// Gives a piece another width, depth and height; what follows its size follows.
void giveSize(Piece&, const Size&);

/// The piece as a round one: itself when its kind is round, for a new one the kit's round kind of
/// that name. Empty when there is none.
[[nodiscard]] std::optional<Piece> roundOne(const Piece&, bool isNew, const Kit&);

/// Somewhere near `wanted` where nothing stands; near all the same when there is no such place.
[[nodiscard]] Vec2 freePlace(const FloorView&, const Piece&, Vec2 wanted);

/// True where a piece would stand inside and clear of all that stands.
[[nodiscard]] bool standsFree(const FloorView&, const Piece&, const Pose&);

/// A corner that turns in and is free for a piece: the nearest to where it stands, or for a new one
/// the one with the most room before it.
[[nodiscard]] std::optional<Target> freeCorner(const Scene&, const Piece&);
/// The free corner that is nearest to a place in the room, mm.
[[nodiscard]] std::optional<Target> freeCornerBy(const Scene&, const Piece&, Vec2 near);
/// Whether a piece stands free in a corner, along the wall that is told with it, and before no door.
[[nodiscard]] bool isFreeInCorner(const Scene&, const Piece&, const Target& corner);

/// What goes without saying for a new piece: it stands square to what it is placed by, a seat looks
/// at the table or the seat it stands before, and what is not said begins in the middle.
void implyTies(Piece&, std::vector<Tie>&, const Scene&);

/// What a new piece on a wall is tied to when nothing is said of it: to eye level, or the height
/// its kind goes at; over the middle of what it is said to hang above. Across its wall it begins in
/// the middle.
void implyWallTies(Piece&, std::vector<Tie>&, const Scene&, const Project&);
/// What of one that hung on `wasWall`: said to be over something it isn't over there, it is in line
/// with the middle of that.
void centreOverIt(const Piece&, int wasWall, std::vector<Tie>&, const Scene&);

/// How far a floor piece reaches through the walls' faces, at its worst corner.
[[nodiscard]] Length throughWalls(const FloorView&, int piece);

} // namespace mezzet
