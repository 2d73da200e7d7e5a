#pragma once

#include "things/dressed.h"

namespace mezzet {

/// Someone who looks at a unit.
struct UnitEye {
    Vec3 at; ///< mm, in the room
    bool seated = false;
    int seat = 0; ///< the seat it is in; 0 for one who stands
};

/// How far before a unit one stands, and how high eyes are over the floor there.
struct EyesBefore {
    Length away = Length::inches(72);
    Length seated = Length::inches(44);
    Length standing = Length::inches(60);
};
/// Who looks at a unit: standing before its front; and from the seat that faces it (within 45
/// degrees and 6 m, the nearest), else seated there. Common practice.
[[nodiscard]] std::vector<UnitEye> eyesOn(const Scene&, int unit, const EyesBefore& = {});

/// The share of a thing's front, the upright rectangle of its outline there, that things before it
/// on the same board hide from an eye: their silhouettes from it, as upright bodies, thrown on that
/// front and laid together. To within a few thousandths.
[[nodiscard]] double coveredShare(const Scene&, const DressedSurface&, const DressedThing&,
                                  Vec3 eye);

} // namespace mezzet
