#pragma once

#include "room/room.h"

namespace mezzet {

/// What a room measures, for ordering and for quotes. Lengths and areas are of the adjusted room.
struct RoomFacts {
    double floorArea = 0;    ///< mm²; chimney breasts and columns taken off
    double ceilingArea = 0;  ///< mm² along slopes; a tray's upstands count too
    double wallArea = 0;     ///< mm², openings not taken off
    double openingsArea = 0; ///< mm² of windows, doors and openings, as holes in the wall
    double glassArea = 0;    ///< mm² of windows, frame and all
    double volume = 0;       ///< mm³; slopes, trays, beams, steps and breasts counted
    Length perimeter;        ///< along the floor's edge
    Length skirting;         ///< perimeter and breasts' sides, less doorways and fires
    Length headroomLow;      ///< the lowest headroom over the floor
    Length headroomHigh;

    [[nodiscard]] double netWallArea() const { return wallArea - openingsArea; }
};

/// Of a closed room; all nothing while it is open.
[[nodiscard]] RoomFacts factsOf(const Room&);

/// One wall's face from floor to ceiling, mm², curves and recesses along it counted, its openings
/// taken off; steps of the floor are not counted. Nothing while the room is open.
[[nodiscard]] double netAreaOf(const Room&, int wall);

/// What to be careful about in this room, as sentences: what may carry the house, fire, stairs and
/// headroom against IRC R311.7 (riser at most 7 3/4 in, tread at least 10, headroom 80, width 36).
[[nodiscard]] std::vector<std::string> cautionsOf(const Room&);

/// "12.34 m²", or "132.8 sq ft" in feet and inches.
[[nodiscard]] std::string writeArea(double squareMillimetres, Units);
/// "30.1 m³", or "1,063 cu ft".
[[nodiscard]] std::string writeVolume(double cubicMillimetres, Units);

/// The facts as lines for people, "floor" and "132.8 sq ft".
[[nodiscard]] std::vector<std::pair<std::string, std::string>> factLines(const RoomFacts&,
                                                                         Notation);

} // namespace mezzet
