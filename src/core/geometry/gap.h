#pragma once

#include "geometry/shape.h"

namespace mezzet {

/// How far apart two shapes are, or how deep they overlap, and where to see it.
struct Gap {
    Length apart;   ///< 0 when they touch or overlap
    Length depth;   ///< the shortest straight move that parts them; 0 unless they overlap
    Vec2 onFirst;   ///< the nearest point of the first shape (overlap: its deepest point), mm
    Vec2 onSecond;  ///< the nearest point of the second shape, mm
    Vec2 direction; ///< unit step from the first toward the second; moving the first by
                    ///< -direction * depth parts them

    /// apart when positive, -depth when they overlap.
    [[nodiscard]] Length clear() const { return depth > Length{} ? -depth : apart; }
};

/// The exact gap between two shapes. For shapes of two parts the depth is that of the deepest pair
/// of parts. Distance by Gilbert, Johnson and Keerthi's algorithm on the parts' supports.
[[nodiscard]] Gap gapBetween(const Shape&, const Shape&);
[[nodiscard]] Gap gapBetween(const Convex&, const Convex&);

/// A quick no: true when the holding circles are farther apart than `within`.
[[nodiscard]] inline bool fartherThan(const Shape& a, const Shape& b, Length within) {
    return norm(a.centre - b.centre) - a.reach - b.reach > within.mm();
}

/// A straight stretch as a shape, to measure gaps to.
[[nodiscard]] Shape stretch(Segment);
/// The same as one convex part, and a place as one.
[[nodiscard]] Convex linePart(Segment);
[[nodiscard]] Convex pointPart(Vec2);

} // namespace mezzet
