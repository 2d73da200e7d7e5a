#pragma once

#include "geometry/vec.h"

#include <optional>
#include <span>
#include <vector>

namespace mezzet {

/// Area inside a simple outline, mm²; positive when its corners run clockwise as drawn.
[[nodiscard]] double signedArea(std::span<const Vec2> corners);

/// True when p is inside a simple outline, or on its edge.
[[nodiscard]] bool insideOutline(std::span<const Vec2> corners, Vec2 p);

/// The middle of an outline's area; of its corners when it has none.
[[nodiscard]] Vec2 centroid(std::span<const Vec2> corners);

/// The convex outline round points, clockwise as drawn; fewer than three when they lie in a line.
/// Andrew's monotone chain.
[[nodiscard]] std::vector<Vec2> convexHull(std::vector<Vec2> points);

/// What is left of a convex outline, or of a stretch, on one side of a line: where
/// dot(normal, p) >= offset.
[[nodiscard]] std::vector<Vec2> clipped(std::span<const Vec2> corners, Vec2 normal, double offset);

/// Where two stretches cross or touch, if they do.
[[nodiscard]] std::optional<Vec2> crossing(Segment, Segment);

/// How far along a unit direction from a point a line crosses the outline's edges, behind it too;
/// mm, in order.
[[nodiscard]] std::vector<double> crossingsAlong(std::span<const Vec2> corners, Vec2 from,
                                                 Vec2 way);

/// The first pair of edges of an outline, not neighbours, that cross or touch.
[[nodiscard]] std::optional<std::pair<int, int>> selfCrossing(std::span<const Vec2> corners);

} // namespace mezzet
