#pragma once

#include "scheme/resolve.h"

#include <array>
#include <string>
#include <vector>

namespace mezzet {

/// The area of a piece's footprint, mm²; rounded corners taken off.
[[nodiscard]] double footprintArea(const Piece&);

/// What furniture takes of the floor, mm²; what lies flat takes none.
[[nodiscard]] double floorTaken(const Scheme&);

/// A zone in its place.
struct ZoneFacts {
    std::string name;
    std::vector<int> pieces;
    std::vector<Vec2> outline; ///< the convex outline of its pieces, clockwise; mm
    double area = 0;           ///< inside it, mm²
    std::vector<std::string>
        heldBy; ///< "Hearth rug", "the back of Sofa"; empty when nothing holds it
};
/// The gap between two zones' pieces, at its narrowest.
struct ZoneGap {
    std::size_t first = 0;
    std::size_t second = 0;
    Length apart;
    Vec2 onFirst;
    Vec2 onSecond;
};
struct ZonesFacts {
    std::vector<ZoneFacts> zones;
    std::vector<ZoneGap> gaps; ///< between every two
};
/// Zones as named in the scheme. A zone is held by a rug that most of its pieces stand on, by the
/// back of a sofa at its edge, or by a lamp in it.
[[nodiscard]] ZonesFacts zonesOf(const FloorView&);

/// How the room's furniture is spread over its four quarters, about the middle of its bounds: as
/// footprint, and as visual weight (footprint by height by how dark: here height alone).
struct Balance {
    std::array<double, 4> footprint{}; ///< shares, upper left, upper right, lower right, lower left
    std::array<double, 4> weight{};    ///< shares of the volume they take
};
[[nodiscard]] Balance balanceOf(const FloorView&);

} // namespace mezzet
