#pragma once

#include "ways/widest.h"

namespace mezzet {

/// What one asks of a way to be drawn.
struct PathAsked {
    const std::vector<Block>* blocks = nullptr;
    std::vector<int> without; ///< owners that are out of the way
    Vec2 from;
    Vec2 to;
    Length half; ///< what is kept clear on either side, where there is so much
    Length cell = Length::millimetres(40); ///< of the grid it is found on
};

/// A way to be drawn, from beginning to end: the shortest that keeps the asked clearance, found on
/// a grid (40 mm when not said) and pulled straight. Less clearance is kept at the ends. For the
/// eye: how narrow a way is, WayFinder tells exactly. Empty when there is none of that clearance.
[[nodiscard]] std::vector<Vec2> drawnPath(const PathAsked&);

/// The largest circle that stands clear of all blocks, its centre inside an outline; to half a
/// millimetre. Its radius is 0 when there is none. By ever smaller squares, each left as soon as it
/// can't hold a better centre (a branch and bound over cells).
struct Circle {
    Vec2 centre;
    Length radius;
};
[[nodiscard]] Circle largestCircle(const std::vector<Block>&, const std::vector<Vec2>& outline);

} // namespace mezzet
