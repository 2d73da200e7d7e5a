#pragma once

#include "scheme/resolve.h"

#include <optional>

namespace mezzet {

/// Where a piece is in the room: the middle of its foot, and which way its right and its front go.
/// A piece's own x runs along `right` from that middle and its y along `front`, as on a plan of it.
struct Body {
    Vec3 foot;  ///< mm
    Vec3 right; ///< unit
    Vec3 front; ///< unit
};

/// Nothing for a piece that is not in the scene.
[[nodiscard]] std::optional<Body> bodyOf(const Scene&, int piece);

/// A surface where it is, with its outline and the clear room before it. Nothing for one that is
/// not there. A piece's top is its bounding rectangle, whatever its corners.
[[nodiscard]] std::optional<Surface> surfaceOf(const Scene&, SurfaceId);

/// The room of one opening of a unit, about the unit's own middle and from its foot up; mm.
struct OpeningBox {
    double left = 0;
    double right = 0;
    double board = 0; ///< top of the board under it
    double head = 0;  ///< underside of the board over it
};
/// Opening `number` of a unit, counted from the left, and row by row from the top; nothing when it
/// has no such one, or its boards leave no room for it.
[[nodiscard]] std::optional<OpeningBox> openingOf(const Piece& unit, int number);

/// What is over the floor under the lowest board of a unit: what its openings and boards leave of
/// its height. Under nothing when they are too high for it.
[[nodiscard]] Length plinthOf(const Piece& unit);

/// How large a carried surface is: x to the right, y to the front; mm. Of a top about its middle,
/// of an opening from its left and from its back.
[[nodiscard]] Box boardOf(const Piece& carrier, SurfaceId);

/// Whether a kind can have its place on such a surface: what stands on tops goes into openings too,
/// and stands on the floor as well, on whatever is under it there.
[[nodiscard]] bool suits(const Kind&, SurfaceKind);

/// A piece, what carries it, what carries that, and so on; a ring is gone round once.
[[nodiscard]] std::vector<const Piece*> carriersOf(const Piece&, const Scheme&);

/// True of what stands on the floor, or on a top there.
[[nodiscard]] bool seenFromAbove(const Piece&, const Scheme&);

/// Why a piece can't be on the surface it names; nothing when it can.
[[nodiscard]] std::optional<Problem> noSuchSurface(const Piece&, const Room&, const Scheme&);

/// Where another piece is, in the coordinates of the surface a piece is on; null when it is on none
/// that they share.
[[nodiscard]] const Placed* seenBy(const Scene&, const Piece&, int other);

/// How high the underside of what hangs from the ceiling is over the floor under it.
[[nodiscard]] Length bottomOf(const Scene&, const Piece&, const Placed&);

} // namespace mezzet
