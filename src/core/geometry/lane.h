#pragma once

#include "geometry/shape.h"

#include <optional>

namespace mezzet {

/// A lane: straight sides `halfWidth` either way from a line that starts at `from` and runs along
/// the unit vector `along`, without end.
struct Lane {
    Vec2 from;
    Vec2 along;
    Length halfWidth;
};

/// The point of a shape inside the lane that comes first along it, counting from the start. What
/// lies behind the start does not count; a shape the start lies in gives a point level with the
/// start. A shape that only touches the lane's side is not in it. Exact for every form.
[[nodiscard]] std::optional<Vec2> firstInLane(const Lane&, const Shape&);

} // namespace mezzet
