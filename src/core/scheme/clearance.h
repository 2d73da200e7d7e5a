#pragma once

#include "scheme/resolve.h"

#include <vector>

namespace mezzet {

/// How far a piece could go straight one way before it meets something, and where it would.
struct Clearance {
    Vec2 from; ///< the point of the piece that meets first, mm on its surface
    Vec2 to;   ///< what it meets there
    Target what;
    [[nodiscard]] Length apart() const { return Length::millimetres(norm(to - from)); }
};

/// What is nearest to a piece that stands, each way along the room's axes: walls, chimneys and
/// other pieces, not rugs, nor what it stands on or carries. None where it touches.
[[nodiscard]] std::vector<Clearance> clearancesAbout(const FloorView&, int piece);
/// The same of what hangs on a wall: its neighbours there, corners, floor, ceiling, openings, and
/// what stands within 30 in before the wall. In the wall's own coordinates, y up.
[[nodiscard]] std::vector<Clearance> clearancesAbout(const WallsView&, int piece);

} // namespace mezzet
