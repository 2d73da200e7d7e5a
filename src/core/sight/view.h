#pragma once

#include "geometry/shape.h"

#include <vector>

namespace mezzet {

/// Something that can be seen, or that hides what is behind it. Convex; what is not is several.
struct Seen {
    Convex shape;
    int owner = 0; ///< whatever the asker knows it by
};

/// A part of a view: what is seen first between two directions.
struct ViewPart {
    int owner = 0;
    Angle from;   ///< directions as directionOf gives them, going clockwise as drawn
    Angle sweep;  ///< never under 0
    Vec2 nearest; ///< a point of it, in the middle of the part
};

/// What is seen from a place, in plan, over a sweep of directions that begins at `from`: part by
/// part, clockwise. Between the directions in which things begin, end or cross, one thing is the
/// first all the way, so the parts are exact. What the place itself lies in is not seen.
[[nodiscard]] std::vector<ViewPart> viewFrom(Vec2 place, Angle from, Angle sweep,
                                             const std::vector<Seen>&);

/// How far along a unit direction a thing is first met; below 0 when it isn't.
[[nodiscard]] double along(Vec2 place, Vec2 direction, const Convex&);

/// A sight line from eye to mark, both with their heights.
struct SightLine {
    Vec2 eye;
    Length eyeHeight;
    Vec2 mark;
    Length markHeight;
};
/// True when a thing of the given height, standing on the floor, rises into the line.
[[nodiscard]] bool hides(const SightLine&, const Shape&, Length height);

} // namespace mezzet
