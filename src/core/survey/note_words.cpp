#include "survey/note_words.h"

#include "measure/text.h"

#include <algorithm>
#include <cctype>
#include <map>

namespace mezzet {

FirstUnit firstUnit(std::string_view text) {
    constexpr std::string_view metric[] = {"mm", "cm", "m", "metre", "metres", "meter", "meters"};
    constexpr std::string_view feet[] = {"ft", "feet", "foot", "in", "inch", "inches"};
    constexpr std::string_view marks[] = {"'", "\"", "’", "”", "′", "″"};
    const auto letter = [](char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0; };
    const auto digit = [](char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; };
    for (std::size_t at = 0; at < text.size(); ++at) {
        if (text[at] == '#')
            at = std::min(text.find('\n', at), text.size() - 1);
        if (!digit(text[at]) || (at + 1 < text.size() && digit(text[at + 1])))
            continue;
        auto rest = text.substr(at + 1);
        for (const auto mark : marks)
            if (rest.starts_with(mark))
                return FirstUnit::feetOrInches;
        rest.remove_prefix(std::min(rest.find_first_not_of(' '), rest.size()));
        const auto word = foldCase(
            rest.substr(0, static_cast<std::size_t>(
                               std::find_if_not(rest.begin(), rest.end(), letter) - rest.begin())));
        rest.remove_prefix(word.size());
        rest.remove_prefix(std::min(rest.find_first_not_of(' '), rest.size()));
        const bool ratio = word == "in" && !rest.empty() && digit(rest.front());
        if (std::find(std::begin(metric), std::end(metric), word) != std::end(metric))
            return FirstUnit::metric;
        if (!ratio && std::find(std::begin(feet), std::end(feet), word) != std::end(feet))
            return FirstUnit::feetOrInches;
    }
    return FirstUnit::nothing;
}

std::string writtenOut(const std::string& word) {
    // What is written on a tape's pad; docs/tape-notes.md lists them.
    static const std::map<std::string, std::string, std::less<>> all{{"wdw", "window"},
                                                                     {"win", "window"},
                                                                     {"wndw", "window"},
                                                                     {"dr", "door"},
                                                                     {"clg", "ceiling"},
                                                                     {"ceil", "ceiling"},
                                                                     {"ht", "high"},
                                                                     {"hgt", "high"},
                                                                     {"height", "high"},
                                                                     {"wd", "wide"},
                                                                     {"width", "wide"},
                                                                     {"dp", "deep"},
                                                                     {"depth", "deep"},
                                                                     {"o/c", "apart"},
                                                                     {"oc", "apart"},
                                                                     {"o.c.", "apart"},
                                                                     {"c/c", "apart"},
                                                                     {"cc", "apart"},
                                                                     {"aff", "up"},
                                                                     {"a.f.f.", "up"},
                                                                     {"lt", "light"},
                                                                     {"sw", "switch"},
                                                                     {"rad", "radiator"},
                                                                     {"fp", "fireplace"},
                                                                     {"f/p", "fireplace"},
                                                                     {"chim", "chimney"},
                                                                     {"opg", "opening"},
                                                                     {"lhs", "left"},
                                                                     {"rhs", "right"},
                                                                     {"lh", "left"},
                                                                     {"rh", "right"},
                                                                     {"diag", "diagonal"},
                                                                     {"skt", "outlet"},
                                                                     {"skirt", "skirting"},
                                                                     {"socket", "outlet"},
                                                                     {"sockets", "outlet"},
                                                                     {"plug", "outlet"},
                                                                     {"powerpoint", "outlet"},
                                                                     {"receptacle", "outlet"},
                                                                     {"lightswitch", "switch"},
                                                                     {"doorway", "opening"},
                                                                     {"arch", "opening"},
                                                                     {"recess", "alcove"},
                                                                     {"niche", "alcove"},
                                                                     {"pillar", "column"}};
    const auto it = all.find(word);
    return it == all.end() ? word : it->second;
}

} // namespace mezzet
