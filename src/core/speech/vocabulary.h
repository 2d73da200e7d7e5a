#pragma once

#include "project/project.h"

#include <set>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A word's place in a text, in bytes.
struct WordAt {
    std::size_t at = 0;
    std::size_t size = 0;
};
/// The words of a text: what stands between blanks, commas and semicolons.
[[nodiscard]] std::vector<WordAt> wordsOf(std::string_view text);

/// Every word and phrase a line of a job may be made of, in small letters.
[[nodiscard]] std::set<std::string> vocabulary(const Project&);

} // namespace mezzet
