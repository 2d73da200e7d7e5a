#pragma once

#include "scheme/resolve.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// What one end of the tape is held to: a corner of the room, a point that was marked before, or a
/// wall, square to it.
struct TapeFrom {
    std::string mark;        ///< "corner AB", "wall A", "Sofa, back left"
    std::optional<Vec2> at;  ///< of a corner or a point, in the room; mm
    std::optional<int> wall; ///< its index; of a wall
    Length length;
};

/// A point to be marked on the floor.
struct TapeStep {
    int piece = 0;
    std::string name;   ///< the piece's
    std::string corner; ///< "back left", as one faces the piece; "middle"
    Vec2 at;            ///< in the room; mm
    std::array<TapeFrom, 2> from;
    bool overMarked = false; ///< a tape crosses what is marked already: there is no other way
};

/// A height to be marked on a wall.
struct TapeHeight {
    int wall = 0;
    int piece = 0;
    std::string what; ///< "the back of Sofa", "the foot of harbour"
    Length up;
    Length along; ///< of its middle, from the wall's left corner
};

struct TapeOut {
    std::vector<TapeStep> steps;
    std::vector<TapeHeight> heights;
    Length tape; ///< the outlines' length
};

/// Corners of the tape's angle, degrees: two lengths that meet flatter than this mark no point.
inline constexpr double leastTapeAngle = 25;
inline constexpr double mostTapeAngle = 155;

/// How a room's floor is marked with tape for where everything will stand: every corner of every
/// piece on the floor by two lengths, from walls, corners of the room, or corners that are marked
/// already, that meet at a good angle, are short, and cross no wall, nothing built in and no piece
/// that is marked (rugs may be crossed); pieces in the middle first, so that those along the walls
/// are in nobody's way. Round ones have their middle and four points. Carpet that is cut to the
/// room is not marked. Trilateration; the length square to a wall is the shortest one to it.
[[nodiscard]] TapeOut tapeOut(const Scene&, const Notation&);

} // namespace mezzet
