#pragma once

#include "sheets/sheet.h"

namespace mezzet::sheets {

/// A measuring sheet to take along: squares to sketch on, with the room's outline and empty figures
/// when it is known, and tables for walls, diagonals, openings and what stands on the walls. Letter
/// for feet and inches, A4 for metric; two pages. `room` may be null.
[[nodiscard]] Sheet blankSheet(RoomPtr room, Units);

} // namespace mezzet::sheets
