#pragma once

#include "scheme/surfaces.h"
#include "solid/vec3.h"

namespace mezzet {

/// What a face is of.
enum class Made {
    floor,
    ceiling,
    wall,
    glass, ///< of a window, its curtain of night
    door,
    builtIn,
    piece
};

/// A flat face, as triangles; mm, z up from the floor at wall A.
struct Face {
    Made made = Made::wall;
    int of = 0;  ///< wall: its index; piece: its id
    Vec3 normal; ///< unit, toward the side that is seen
    std::vector<std::array<Vec3, 3>> triangles;
};

/// The bodies of a room and of what is in it, made once from a scene. Openings without a leaf are
/// left open. What lies flat on the floor has no body, and lights have none: their shades are part
/// of how they shine.
struct Solids {
    std::vector<Face> faces;
};
[[nodiscard]] Solids solidsOf(const Scene&);

/// A box, or any outline, drawn up: of a piece, about the middle of its foot; x to its right, y to
/// its front, z up; mm.
struct Prism {
    std::vector<Vec2> base; ///< seen from above, or of what hangs in its front, y up
    double from = 0;        ///< along the third direction
    double to = 0;
};
/// The parts a piece is made of, from above: a table's top and legs, a seat's back and arms, the
/// boards of a unit. `front`: of what hangs on a wall, in its front and out from its middle.
[[nodiscard]] std::vector<Prism> partsOf(const Piece&);

/// An outline as triangles, by cutting off its ears. Fewer than three corners make none.
[[nodiscard]] std::vector<std::array<Vec2, 3>> trianglesOf(std::vector<Vec2> outline);

} // namespace mezzet
