#pragma once

#include "geometry/vec.h"

#include <vector>

namespace mezzet {

/// An outline, clockwise as drawn, with what is cut out of its middle; mm.
struct Region {
    std::vector<Vec2> edge;
    std::vector<std::vector<Vec2>> holes;
};

/// What is left of a simple outline when others, which may overlap, are taken from it: the largest
/// part first. Corners nearer than 0.01 mm to the line between their neighbours are left out. By
/// GEOS, on a grid of a thousandth of a millimetre. Empty when nothing is left, or for an outline
/// that crosses itself.
[[nodiscard]] std::vector<Region> without(const std::vector<Vec2>& outline,
                                          const std::vector<std::vector<Vec2>>& taken);

/// A simple outline grown by so many mm (shrunk, under nothing), its outside corners cut sharp.
[[nodiscard]] std::vector<Region> grown(const std::vector<Vec2>& outline, double by);

} // namespace mezzet
