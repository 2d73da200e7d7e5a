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

std::span<const ThingSaid> thingsSaid() {
    using D = DoorStyle;
    using O = WindowOpens;
    static constexpr ThingSaid all[] = {{"living room door", "door", {}, {}, "living room"},
                                        {"dining room door", "door", {}, {}, "dining room"},
                                        {"sliding glass door", "door", D::sliding},
                                        {"sliding patio door", "door", D::sliding, {}, "patio"},
                                        {"glass sliding door", "door", D::sliding},
                                        {"bi fold door", "door", D::folding},
                                        {"double hung window", "window", {}, O::sliding},
                                        {"built in shelves", "built-in"},
                                        {"built in bookcase", "built-in"},
                                        {"built in cabinet", "built-in"},
                                        {"built in wardrobe", "built-in"},
                                        {"built in cupboard", "built-in"},
                                        {"front door", "door", {}, {}, "outside"},
                                        {"entry door", "door", {}, {}, "outside"},
                                        {"entrance door", "door", {}, {}, "outside"},
                                        {"main door", "door", {}, {}, "outside"},
                                        {"outside door", "door", {}, {}, "outside"},
                                        {"exterior door", "door", {}, {}, "outside"},
                                        {"back door", "door", {}, {}, "garden"},
                                        {"rear door", "door", {}, {}, "garden"},
                                        {"garden door", "door", {}, {}, "garden"},
                                        {"yard door", "door", {}, {}, "garden"},
                                        {"patio door", "door", D::sliding, {}, "patio"},
                                        {"balcony door", "door", {}, {}, "balcony"},
                                        {"terrace door", "door", {}, {}, "terrace"},
                                        {"deck door", "door", {}, {}, "deck"},
                                        {"closet door", "door", {}, {}, "closet"},
                                        {"cupboard door", "door", {}, {}, "cupboard"},
                                        {"pantry door", "door", {}, {}, "pantry"},
                                        {"bathroom door", "door", {}, {}, "bathroom"},
                                        {"kitchen door", "door", {}, {}, "kitchen"},
                                        {"bedroom door", "door", {}, {}, "bedroom"},
                                        {"hall door", "door", {}, {}, "hall"},
                                        {"hallway door", "door", {}, {}, "hallway"},
                                        {"laundry door", "door", {}, {}, "laundry"},
                                        {"garage door", "door", {}, {}, "garage"},
                                        {"office door", "door", {}, {}, "office"},
                                        {"study door", "door", {}, {}, "study"},
                                        {"basement door", "door", {}, {}, "basement"},
                                        {"cellar door", "door", {}, {}, "cellar"},
                                        {"attic door", "door", {}, {}, "attic"},
                                        {"utility door", "door", {}, {}, "utility"},
                                        {"nursery door", "door", {}, {}, "nursery"},
                                        {"lounge door", "door", {}, {}, "lounge"},
                                        {"den door", "door", {}, {}, "den"},
                                        {"sliding door", "door", D::sliding},
                                        {"barn door", "door", D::sliding},
                                        {"pocket door", "door", D::pocket},
                                        {"bifold door", "door", D::folding},
                                        {"bi-fold door", "door", D::folding},
                                        {"folding door", "door", D::folding},
                                        {"french door", "door", D::pair},
                                        {"double door", "door", D::pair},
                                        {"glass door", "door"},
                                        {"single door", "door"},
                                        {"interior door", "door"},
                                        {"swing door", "door"},
                                        {"french window", "door", D::pair},
                                        {"picture window", "window", {}, O::fixed},
                                        {"fixed window", "window", {}, O::fixed},
                                        {"sash window", "window", {}, O::sliding},
                                        {"hung window", "window", {}, O::sliding},
                                        {"casement window", "window"},
                                        {"double window", "window"},
                                        {"triple window", "window"},
                                        {"large window", "window"},
                                        {"big window", "window"},
                                        {"small window", "window"},
                                        {"twin window", "window"},
                                        {"bay window", "bay"},
                                        {"bow window", "bow"},
                                        {"cased opening", "opening"},
                                        {"wide opening", "opening"},
                                        {"open doorway", "opening"},
                                        {"open archway", "opening"},
                                        {"doorless opening", "opening"},
                                        {"fitted wardrobe", "built-in"},
                                        {"fitted cupboard", "built-in"},
                                        {"built in", "built-in"},
                                        {"kitchen counter", "built-in"},
                                        {"kitchen units", "built-in"},
                                        {"base unit", "built-in"},
                                        {"base cabinet", "built-in"},
                                        {"baseboard heater", "radiator"},
                                        {"electric heater", "radiator"},
                                        {"storage heater", "radiator"},
                                        {"wall heater", "radiator"},
                                        {"ac vent", "vent"},
                                        {"air vent", "vent"},
                                        {"heating vent", "vent"},
                                        {"return vent", "vent"},
                                        {"wall vent", "vent"},
                                        {"wall outlet", "outlet"},
                                        {"power outlet", "outlet"},
                                        {"electrical outlet", "outlet"},
                                        {"electric outlet", "outlet"},
                                        {"power socket", "outlet"},
                                        {"wall socket", "outlet"},
                                        {"double socket", "outlet"},
                                        {"power point", "outlet"},
                                        {"double outlet", "outlet"},
                                        {"light switch", "switch"},
                                        {"dimmer switch", "switch"},
                                        {"wall light", "light"},
                                        {"wall sconce", "light"},
                                        {"gas fireplace", "fireplace"},
                                        {"wood fireplace", "fireplace"},
                                        {"open fireplace", "fireplace"},
                                        {"gas fire", "fireplace"},
                                        {"open fire", "fireplace"},
                                        {"doors", "door", D::pair},
                                        {"counter", "built-in"},
                                        {"countertop", "built-in"},
                                        {"worktop", "built-in"},
                                        {"cabinets", "built-in"},
                                        {"bifold", "door", D::folding},
                                        {"bi-fold", "door", D::folding},
                                        {"slider", "door", D::sliding},
                                        {"heater", "radiator"},
                                        {"register", "vent"},
                                        {"dimmer", "switch"},
                                        {"sconce", "light"}};
    return all;
}

} // namespace mezzet
