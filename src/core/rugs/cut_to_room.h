#pragma once

#include "room/room.h"

#include <string>
#include <vector>

namespace mezzet {

/// How a carpet is cut to its room.
struct RoomCut {
    /// Bare floor off the walls, a place a wall; and off what is built in, a place a fixture.
    std::vector<Length> offWall;
    std::vector<Length> offFixture;
    std::vector<Length> offHearth; ///< the same off a hearth
};

/// What is built in that a carpet goes round: chimneys and their hearths, columns, half walls,
/// cupboards to the floor, stairs.
[[nodiscard]] bool carpetGoesRound(const Fixture&);
/// What such a thing takes of the floor, its hearth in it; several outlines where it has several
/// parts.
[[nodiscard]] std::vector<std::vector<Vec2>> takenBy(const Room&, const Fixture&);

/// The floor inside the borders, outside corners cut sharp, clockwise from the corner nearest to
/// where wall A begins; where it comes to several parts, the largest. What stands free in the
/// middle is left in, and `told`. Problem: an open room, or a border wider than the room allows.
[[nodiscard]] Result<std::vector<Vec2>> cutToRoom(const Room&, const RoomCut&,
                                                  std::vector<std::string>& told);

} // namespace mezzet
