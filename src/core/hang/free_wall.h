#pragma once

#include "scheme/on_wall.h"

#include <optional>
#include <vector>

namespace mezzet {

/// Something that takes a part of a wall's face.
struct WallObstacle {
    Box box; ///< in the wall's plane, mm
    Target what;
};

/// A wall with what stands before it and what takes its face, found once.
struct WallFace {
    int wall = 0;
    std::vector<Standing> standing;
    std::vector<WallObstacle> obstacles;
};

/// What takes the face of a wall: its openings, what is built in, what hangs there (a group as one,
/// not its pieces), and furniture within `near` of it.
[[nodiscard]] WallFace faceOf(const WallsView&, int wall, Length near = Length::inches(24));
/// Its obstacles without the pieces named.
[[nodiscard]] std::vector<WallObstacle> obstaclesBut(const WallFace&, const std::vector<int>& but);

/// The same for a thing in its place: on a chimney breast the breast's edges bound it, and beside
/// one the breast itself.
[[nodiscard]] std::vector<WallObstacle> obstaclesFor(const WallsView&, const WallFace&,
                                                     const Box& own, const std::vector<int>& but);

/// The furniture a thing on a wall hangs over: of the pieces within `near` of the wall that stand
/// square to it and lie under its middle and most of its width, with their tops under its foot by
/// no more than `reach`, the one whose top is highest. Lamps, plants and rugs are no furniture
/// here. Empty for none.
[[nodiscard]] std::optional<std::size_t> furnitureUnder(const WallsView&, const WallFace&,
                                                        const Box&, Length near, Length reach);

/// The largest free part of a wall that holds a place: no obstacle in it, between the corners, over
/// the floor and under the ceiling's lowest part there. Empty when the place itself is taken.
[[nodiscard]] std::optional<Box> freeAround(const WallsView&, int wall, Vec2 place,
                                            const std::vector<WallObstacle>&);

/// The free wall over a floor piece: as wide as the piece and as the wall leaves it, from the
/// piece's top to the ceiling or whatever hangs there.
[[nodiscard]] std::optional<Box> freeOver(const WallsView&, const WallFace&, std::size_t piece,
                                          const std::vector<int>& but);

/// What is left of a box within breathing room on its sides, over and under; empty when nothing is.
[[nodiscard]] std::optional<Box> within(const Box&, Length sides, Length under, Length over);

} // namespace mezzet
