#pragma once

#include "things/dressed.h"

namespace mezzet {

/// Someone who looks at a unit.
struct UnitEye {
    Vec3 at; ///< mm, in the room
    bool seated = false;
    int seat = 0; ///< the seat it is in; 0 for one who stands
};

/// Who looks at a unit: from the seat that faces it (within 45 degrees and 6 m, the nearest), else
/// from 6 ft before its front, seated, 44 in high; and standing there, 60 in high. Common practice.
[[nodiscard]] std::vector<UnitEye> eyesOn(const Scene&, int unit);

/// The share of a thing's front, the upright rectangle of its outline there, that things before it
/// on the same board hide from an eye: their silhouettes from it, as upright bodies, thrown on that
/// front and laid together. To within a thousandth.
[[nodiscard]] double coveredShare(const Scene&, const DressedSurface&, const DressedThing&,
                                  Vec3 eye);

} // namespace mezzet
