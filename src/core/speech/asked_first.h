#pragma once

#include "edit/line.h"

#include <optional>
#include <string_view>

namespace mezzet {

/// The line without "anyway"; the same text when that is not said.
[[nodiscard]] std::string_view withoutAnyway(std::string_view text);

/// Whether a refusal asks in which unit figures are meant.
[[nodiscard]] bool asksUnit(const Problem&);

/// What a new piece, or one that is moved, would do that nobody means: go through a wall, stand in
/// the chimney. What would only go along by its ties, and can't, is left where it is in `said`, and
/// told of there.
[[nodiscard]] std::optional<Problem> whatItAsks(std::string_view text, const Project&, Said& said);

} // namespace mezzet
