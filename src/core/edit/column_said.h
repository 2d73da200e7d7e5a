#pragma once

#include "edit/phrase.h"
#include <cstddef>

#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// A line without the words from `from` on that have things hang one over the other ("in a column",
/// "one above the other"), blanks in their place; nothing where no such words are said.
[[nodiscard]] std::optional<std::string> withoutColumn(std::string_view line, std::size_t from);

/// The lowest of a column of so many, so far apart, hangs so that the middle of them all is at eye
/// level, where nothing is said of its height; shelves hang by their lowest.
void columnAtEyes(Placement& lowest, const Piece& one, int count, Length apart, const Project&);

} // namespace mezzet
