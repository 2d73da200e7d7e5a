#include "speech/spoken_names.h"

#include "measure/text.h"

#include <algorithm>
#include <regex>

namespace mezzet {

namespace {

constexpr std::size_t longestLine = 300;

/// "Sofa, Bench and Desk", as the line reads it.
std::string joined(const std::vector<std::string>& names) {
    std::string all = names.front();
    for (std::size_t i = 1; i < names.size(); ++i)
        all += (i + 1 == names.size() ? " and " : ", ") + names[i];
    return all;
}

/// Whether a piece is called so, in the singular: by its name or its kind.
bool isCalled(const Piece& p, const std::string& noun, const Project& job) {
    if (job.library.kit->byWord(noun) == p.kind)
        return true;
    const auto last = " " + noun;
    const std::string own = plainWord(p.name);
    const std::string kind = plainWord(p.kind->name);
    return own == noun || own.ends_with(last) || kind == noun || kind.ends_with(last);
}

/// Their names; none where one of them was taken out since.
std::vector<std::string> namesOf(const std::vector<int>& ids, const Project& job) {
    std::vector<std::string> names;
    for (const int id : ids) {
        const Piece* p = job.scheme().byId(id);
        if (p == nullptr)
            return {};
        names.push_back(p->name);
    }
    return names;
}

} // namespace

std::string theirNames(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex several("\\b(?:them both|both of them|all of them|the two of them|them|"
                                    "both)\\b",
                                    std::regex::icase | std::regex::optimize);
    static const std::regex one("\\b(?:it|them)\\b", std::regex::icase | std::regex::optimize);
    std::vector<std::string> names;
    // A group is what it is called, with all that is in it.
    std::vector<const Piece*> spoken;
    for (const int id : ids)
        if (const Piece* p = job.scheme().byId(id))
            spoken.push_back(p);
    for (const Piece* p : spoken)
        if (std::none_of(spoken.begin(), spoken.end(),
                         [&](const Piece* g) { return g->isGroup() && p->group() == g->id; }))
            names.push_back(p->name);
    const std::string line(trimmed(text));
    const std::regex& them = names.size() == 1 ? one : several;
    if (names.empty() || line.size() > longestLine || !std::regex_search(line, them))
        return {};
    std::string all = joined(names);
    // A name may have the sign that a replacement is told by.
    for (auto at = all.find('$'); at != std::string::npos; at = all.find('$', at + 2))
        all.insert(at, "$");
    return std::regex_replace(line, them, all, std::regex_constants::format_first_only);
}

std::string ofThoseSpoken(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex nouns("\\b(?:both(?: of)? the|all(?: of)? the|the|those|these|both|my) "
                                  "([a-z]+)(?: [a-z]+)?(?: [a-z]+)?\\b",
                                  std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    const auto names = namesOf(ids, job);
    if (names.empty() || line.size() > longestLine)
        return {};
    std::smatch found;
    for (auto begin = line.cbegin(); std::regex_search(begin, line.cend(), found, nouns);
         begin = found[1].first) {
        // "the table lamp left", "the table lamp", "the table".
        for (auto end = found[0].second; end != found[1].first;) {
            const auto said = foldCase(std::string(found[1].first, end));
            const auto noun = plainWord(said);
            // What was made last is it.
            const bool made = said == "copy" || said == "duplicate" || said == "new one" ||
                              said == "first" || said == "first one";
            // Of several they are said as several.
            const bool called = (said != noun) == (names.size() > 1) &&
                                std::all_of(ids.begin(), ids.end(), [&](int id) {
                                    return isCalled(*job.scheme().byId(id), noun, job);
                                });
            if (called || (made && names.size() == 1))
                return std::string(line.cbegin(), found[0].first) + joined(names) +
                       std::string(end, line.cend());
            while (end != found[1].first && *--end != ' ') {
            }
        }
    }
    return {};
}

std::string anotherOfThose(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex words(
        "(?:(?:and|then|now|also|please|put|place|add|hang|set|stand|have|i want|i need|we need) )*"
        "(?:(?:an?|one|the) (?:second|third|further|extra|matching|identical|similar)(?: one)?|"
        "another(?: one)?(?: (?:like (?:it|that|this)|of (?:them|those|these)|the same))?|one "
        "more|one like (?:it|that|this)|an extra|the same(?: one)?(?: again)?|same again|ditto)"
        "((?:,| on| at| in| to| by| beside| next| under| over| above| behind| between| opposite| "
        "across| along| against| near| left| right| facing| either| for)\\b.*)?",
        std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longestLine || namesOf(ids, job).empty() ||
        !std::regex_match(line, found, words))
        return {};
    const Piece& one = *job.scheme().byId(ids.front());
    const bool alike = std::all_of(ids.begin(), ids.end(),
                                   [&](int id) { return job.scheme().byId(id)->kind == one.kind; });
    return alike && !one.isGroup() ? "another " + one.name + found[1].str() : std::string();
}

std::string insteadOfThose(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex words(
        "(?:(?:try|use|put|place|add|have|hang|get|how about|what about|with|"
        "let's have|i want|make it|make that|do) )?(.+?),? instead[.!?]*",
        std::regex::icase | std::regex::optimize);
    static const std::regex opens("^(?:an?|one|the|some) ", std::regex::icase);
    const std::string line(trimmed(text));
    std::smatch found;
    const auto names = namesOf(ids, job);
    if (line.size() > longestLine || names.size() != ids.size() ||
        !std::regex_match(line, found, words))
        return {};
    const std::string thing = found[1];
    if (names.empty())
        return line.substr(0, static_cast<std::size_t>(found.position(1))) + thing;
    if (names.size() == 1)
        return "replace " + names.front() + " by a " + std::regex_replace(thing, opens, "");
    return "remove " + joined(names) + "; then " + thing;
}

} // namespace mezzet
