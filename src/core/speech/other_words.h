#pragma once

#include "project/project.h"

#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace mezzet {

/// The same said in words the line knows, likeliest first: "a big picture over the sofa", "where
/// can I put a piano?", "between the windows". Asked only for what is refused as it was said; none
/// where no other words are known. What is made of it is told in the preview as ever. `twice`:
/// what was put otherwise is put otherwise once more; for a whole line, and not for its parts.
[[nodiscard]] std::vector<std::string> inOtherWords(std::string_view text, const Project&,
                                                    bool twice = true);

/// Where a sentence may be two, likeliest last place first: "a sofa on wall A, with a lamp beside
/// it". None for one.
[[nodiscard]] std::vector<std::pair<std::string, std::string>> inTwoParts(std::string_view text);

} // namespace mezzet
