#include "speech/saying.h"

#include "measure/text.h"
#include "speech/needed_by.h"

#include <algorithm>

namespace mezzet {

Saying::Saying(const char* pattern)
    : needs_(neededBy(pattern)), pattern_(pattern, std::regex::icase | std::regex::optimize) {}

bool Saying::canBeIn(std::string_view folded) const {
    return std::all_of(needs_.begin(), needs_.end(), [&](const auto& any) {
        return std::any_of(any.begin(), any.end(), [&](const std::string& w) {
            return folded.find(w) != std::string_view::npos;
        });
    });
}

bool Saying::is(const std::string& line, std::smatch& found) const {
    return canBeIn(foldCase(line)) && std::regex_match(line, found, pattern_);
}

} // namespace mezzet
