#pragma once

#include <regex>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A way of saying: a pattern of words, in any case, made once, with what a line can't do without
/// to be said so (neededBy). That is looked for first, since a line is read at every key.
class Saying {
public:
    explicit Saying(const char* pattern);

    /// Whether a line, in small letters, has what the pattern can't do without.
    [[nodiscard]] bool canBeIn(std::string_view folded) const;
    /// Whether the whole line is said so; `found` has then what stands in each bracket.
    [[nodiscard]] bool is(const std::string& line, std::smatch& found) const;
    [[nodiscard]] const std::regex& pattern() const { return pattern_; }

private:
    std::vector<std::vector<std::string>> needs_; ///< one of each
    std::regex pattern_;
};

} // namespace mezzet
