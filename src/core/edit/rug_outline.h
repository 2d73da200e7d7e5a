#pragma once

#include "edit/edit.h"

#include <vector>

namespace mezzet {

/// Moves an edge of a rug (counted from 1) straight outward by so many mm, or inward by less than
/// nothing; its neighbours grow or shrink along their own lines. Of one that is cut to its room, an
/// edge along a wall or round what is built in gets its own distance there, and goes on following
/// it. Problem: no rug, no such edge, a round rug, or an outline that would cross itself.
[[nodiscard]] Result<Edit> moveRugEdge(const Project&, const Scene&, int id, int edge, double by);

/// Moves a corner (counted from 1, where edge 1 begins) to a place on the floor, mm.
[[nodiscard]] Result<Edit> moveRugCorner(const Project&, const Scene&, int id, int corner, Vec2 to);

/// Makes an edge so long: the one after it moves along.
[[nodiscard]] Result<Edit> sizeRugEdge(const Project&, const Scene&, int id, int edge, Length);

/// A new rug with these corners, mm. Problem: as giveCorners.
[[nodiscard]] Result<Edit> drawnRug(const Project&, const std::vector<Vec2>& corners);

/// The lines a building gives: through jambs and corners, along and across the walls they are in.
/// Each as a normal and its offset, mm; for what is drawn or dragged to snap to.
[[nodiscard]] std::vector<FloorLine> buildingLines(const Room&);

} // namespace mezzet
