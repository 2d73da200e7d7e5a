#pragma once

#include "fits/fits.h"

namespace mezzet {

/// Where the middle of a piece may lie at one turn: its footprint and the room it needs in front
/// inside the walls and clear of everything. Exact for polygons; curves are cut into chords that
/// stay within 1 mm outside of them.
[[nodiscard]] AllowedRegion allowedRegion(const FloorView&, const Piece&, Angle turn);

/// The floor that regions take together, whatever the turn; mm².
[[nodiscard]] double areaOfAll(const std::vector<AllowedRegion>&);

/// What a convex thing takes of a wall's length within a strip along it: from and to, mm from the
/// wall's left.
[[nodiscard]] std::optional<std::pair<double, double>> spanInStrip(const Convex&, const Wall&,
                                                                   double depth);

} // namespace mezzet
