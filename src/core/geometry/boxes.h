#pragma once

#include "geometry/shape.h"

#include <span>
#include <vector>

namespace mezzet {

/// An outline whose edges all run along x or y, cut into as few boxes as straight cuts one way
/// give: all along x or all along y, whichever is fewer, the larger first of two alike. Empty where
/// an edge runs otherwise by more than `slack`, mm.
[[nodiscard]] std::vector<Box> boxesOf(std::span<const Vec2> outline, double slack = 1);

} // namespace mezzet
