#pragma once

#include "project/project.h"
#include "sheets/plan_sheet.h"

namespace mezzet::sheets {

/// Prints a measuring sheet to take along: squares to sketch on, with the room's outline and empty
/// figures when it is known, and tables for walls, diagonals, openings and what stands on the
/// walls. Letter for feet and inches, A4 for metric; PDF of two pages, or the first page as SVG or
/// PNG. `room` may be null.
[[nodiscard]] Result<Printed> printBlankSheet(const Room* room, Units,
                                              const std::filesystem::path&);

} // namespace mezzet::sheets
