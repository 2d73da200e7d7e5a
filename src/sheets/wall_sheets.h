#pragma once

#include "hang/hooks.h"
#include "project/project.h"
#include "sheets/sheet.h"

#include <filesystem>
#include <optional>
#include <string>

namespace mezzet::sheets {

/// Every hook of the active scheme as text, one a row.
[[nodiscard]] std::string hooksAsCsv(const Project&, const Scene&, Length division);

/// The division hooks are called out to: 1/16 in, or 1 mm.
[[nodiscard]] Length hookDivision(Notation);
/// A length at that division: 4' 8 3/16", or mm.
[[nodiscard]] std::string hookWords(Length, Notation, std::optional<Length> division = {});
/// "stud", "stud + 3/4", "plug".
[[nodiscard]] std::string fixingWords(const HookPoint&, Notation);

} // namespace mezzet::sheets
