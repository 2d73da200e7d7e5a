#pragma once

#include "geometry/vec.h"

#include <vector>

namespace mezzet {

/// A flat outline on its way through a gap: where its corners are then. The wall's near face is
/// y = 0, its far face y = thickness, the gap runs from x = 0 to x = gap; mm.
using TipStep = std::vector<Vec2>;

struct Tipped {
    bool passes = false;
    std::vector<TipStep> steps; ///< a handful, from before the wall to beyond it
};

/// Whether a flat outline (its corners in turn; it may be hollow, like a seat with its back) is
/// worked through a gap in a wall, slid and turned as one likes with room on either side. It passes
/// while the part of it within the wall's thickness is no wider than the gap, so that a way is a
/// path over turns and depths; it is looked for on a grid of 2 degrees and 10 mm, with 4 mm to
/// spare, and so a little on the safe side.
[[nodiscard]] Tipped tipThrough(const std::vector<Vec2>& outline, double gap, double thickness);

} // namespace mezzet
