#pragma once

#include <cstddef>
#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// A line without the words from `from` on that have things hang one over the other ("in a column",
/// "one above the other"), blanks in their place; nothing where no such words are said.
[[nodiscard]] std::optional<std::string> withoutColumn(std::string_view line, std::size_t from);

} // namespace mezzet
