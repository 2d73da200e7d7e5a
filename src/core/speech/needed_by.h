#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// What a line must have in it, in small letters, to be matched by a pattern of words: one of each
/// of these. Found in what of the pattern is in no bracket and not left to choice, and in brackets
/// whose every branch has a run of plain letters. Empty where nothing is needed.
[[nodiscard]] std::vector<std::vector<std::string>> neededBy(std::string_view pattern);

} // namespace mezzet
