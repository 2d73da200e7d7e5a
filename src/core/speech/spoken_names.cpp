#include "speech/spoken_names.h"

#include "measure/text.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

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

/// "round table 130 with 5 chairs": the table first, then seated.
std::string withChairsAfter(const std::string& thing) {
    static const std::regex words("(.+?) with ([a-z]+|[0-9]+) (?:dining )?chairs",
                                  std::regex::icase | std::regex::optimize);
    std::smatch found;
    return std::regex_match(thing, found, words)
               ? found[1].str() + "; then seat it with " + found[2].str()
               : thing;
}

/// The piece one is beside or on; null for none.
const Piece* besideWhat(const Piece& p, const Project& job) {
    if (p.on.isCarried())
        return job.scheme().byId(p.on.piece);
    for (const Tie& t : p.ties)
        if (t.of.is == Target::Is::piece && t.fixesPlace() && t.kind != Tie::Kind::inLineWith)
            return job.scheme().byId(t.of.piece);
    return nullptr;
}

/// "an armchair left of the fireplace, facing the sofa", on its other side, or on the side that is
/// said; empty for a line that names no side, or both, or says nothing new.
std::string turnedAbout(const std::string& before, const std::string& name,
                        const std::string& wanted) {
    static const std::regex words(
        "(?:(?:put|place|add|set|stand|hang|have) )?(?:(?:an?|one) )?([a-z -]+?)( [0-9].*?)?((?:,| "
        "on| at| to|) (?:the )?)(left|right)\\b((?:(?!\\b(?:left|right)\\b).)*)",
        std::regex::icase | std::regex::optimize);
    std::smatch found;
    if (name.empty() || before.size() > longestLine || !std::regex_match(before, found, words))
        return {};
    const bool wasLeft = foldCase(found[4].str()) == "left";
    const std::string side = wanted == "left" || wanted == "right" ? wanted
                             : wasLeft                             ? "right"
                                                                   : "left";
    return "another " + name + found[3].str() + side + found[5].str();
}

} // namespace

std::string onTheOtherSide(std::string_view text, const Project& job, const Listener& to) {
    static const std::regex words(
        "(?:(?:and|then|now|also|please|put|place|add|hang|do|have|with) )*(?:(?:the )?same(?: "
        "(?:again|thing|one))?|another(?: one)?|one(?: more)?|one like it|ditto|a second(?: "
        "one)?|(?:the |an? )?(?:matching|identical|similar)(?: one)?) (?:on|at|to|for) (?:the |its "
        ")?(?:(left|right)(?:[- ]hand)?|(?:other|opposite|far)"
        ")(?: (side|end|corner))?",
        std::regex::icase | std::regex::optimize);
    static const std::regex sides("\\b(left|right)\\b", std::regex::icase);
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longestLine || to.them.size() != 1 || !std::regex_match(line, found, words))
        return {};
    const Piece* one = job.scheme().byId(to.them.front());
    const Piece* of = one != nullptr ? besideWhat(*one, job) : nullptr;
    if (of == nullptr)
        return turnedAbout(to.before, one != nullptr ? one->name : std::string(),
                           foldCase(found[1].str()));
    const std::string on = one->on.isCarried() ? "on the {} end of" : "{} of";
    std::string side = found[1].matched ? foldCase(found[1].str()) : std::string();
    // The side the first was said to be on, turned about.
    if (std::smatch first; side.empty() && std::regex_search(to.before, first, sides))
        side = foldCase(first[1].str()) == "left" ? "right" : "left";
    if (side.empty())
        return one->on.isCarried()
                   ? std::string()
                   : fmt::format("another {} on the other side of {}", one->name, of->name);
    return fmt::format("another {} {} {}", one->name, fmt::format(fmt::runtime(on), side),
                       of->name);
}

std::string onThatSideToo(std::string_view text, const Project& job, const Listener& to) {
    static const std::regex words(
        "(?:(?:and|then|put|place|add|hang) )*(?:an? |another |the same |one |a second )?([a-z "
        "]*?) ?(?:to|on|at) "
        "(?:the |its )?(left|right|other)(?:[- ]hand)?(?: side)?,? (?:too|as well|also)",
        std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longestLine || to.them.size() != 1 || !std::regex_match(line, found, words))
        return {};
    const Piece* one = job.scheme().byId(to.them.front());
    const auto noun = plainWord(found[1].str());
    if (one == nullptr || (!noun.empty() && noun != "one" && !isCalled(*one, noun, job)))
        return {};
    return turnedAbout(to.before, one->name, foldCase(found[2].str()));
}

std::string moreOfThose(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex words(
        "(?:(?:and|then|put|place|add|hang|set) )*(two|three|four|five|six|[2-9]) more((?: "
        "[a-z]+)*?)"
        "((?:,| on| at| in| to| by| beside| next| under| over| above| behind| between| along| "
        "against| near| left| right| either)\\b.*)?",
        std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longestLine || ids.empty() || !std::regex_match(line, found, words))
        return {};
    const Piece* one = job.scheme().byId(ids.back());
    const auto noun = plainWord(found[2].str());
    if (one == nullptr || one->isGroup() || (!noun.empty() && !isCalled(*one, noun, job)))
        return {};
    std::string place = found[3].str();
    if (place.empty()) {
        if (!one->on.isCarried())
            return {};
        place = " on " + job.scheme().byId(one->on.piece)->name;
    }
    // "… to the right of it, 5 apart": the first so far from it, too.
    static const std::regex beside(" (?:to the )?(left|right) of (it|that|them),? ([0-9].*?) apart",
                                   std::regex::icase | std::regex::optimize);
    if (std::smatch m; std::regex_match(place, m, beside))
        place = fmt::format(" {0} {1} of {2}, {0} apart", m[3].str(), m[1].str(), m[2].str());
    const auto size = [&](Length l) { return write(l, job.notation); };
    const auto kind = foldCase(one->kind->name);
    const bool hissing = kind.ends_with("ch") || kind.ends_with("sh") || kind.ends_with('x');
    return fmt::format("{} {} x {} {}{}{}", found[1].str(), size(one->size.width),
                       size(one->kind->hangs() ? one->size.height : one->size.depth), kind,
                       kind.ends_with('s') ? ""
                       : hissing           ? "es"
                                           : "s",
                       place);
}

std::string madeSeveral(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex words(
        "(?:(?:no|actually|and|then|oh),? )*(?:make|have) (?:it|that|this|the [a-z -]+?) (?:into )?"
        "(a pair|two|three|2|3)(?: (?:of (?:them|those|it)|([a-z -]+?)))?"
        "(?:,? (?:side by side|next to each other|in a row|beside each other))?",
        std::regex::icase | std::regex::optimize);
    const std::string line(trimmed(text));
    std::smatch found;
    if (line.size() > longestLine || ids.size() != 1 || !std::regex_match(line, found, words))
        return {};
    const Piece* one = job.scheme().byId(ids.front());
    if (one == nullptr || one->isGroup() ||
        (found[2].matched && !isCalled(*one, plainWord(found[2].str()), job)))
        return {};
    const auto beside = fmt::format("another {0} right of {0}", one->name);
    const auto count = foldCase(found[1].str());
    return count == "three" || count == "3"
               ? fmt::format("{}; then another {} left of {}", beside, one->name, one->name)
               : beside;
}

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
    // "make it a sectional" is said of a seat, and never of the rug that was named last.
    static const std::regex another(
        "(?:make|turn|swap|change|replace) it(?: (?:into|for|with|by|to))? "
        "an? ([a-z][a-z -]*)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch made; spoken.size() == 1 && std::regex_match(line, made, another))
        if (const auto kind = job.library.kit->byWord(made[1].str());
            kind && (kind->family != spoken.front()->kind->family ||
                     kind->flat() != spoken.front()->kind->flat()))
            return {};
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
        "across| along| against| near| left| right| facing| either| for)\\b.*| [0-9][^,]*? "
        "(?:above|over|below|under|from|left "
        "of|right of|to the|in front of|behind)\\b.*)?",
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

namespace {

/// Whether a piece is what such a kind would be there for.
bool serves(const Piece& p, const Kind& noun) {
    return p.kind->id == noun.id ||
           (noun.role != Role::none && p.kind->role == noun.role && p.kind->family == noun.family);
}

/// Stands in the room, and is no lamp: "a bench instead", of a low table.
bool furnishes(const Kind& kind) {
    return kind.takesFloor() && !kind.light;
}

/// "a round mirror instead", where there is one mirror: of that, whatever was spoken of last; "the
/// mirror on wall D instead" is moved. Empty where there is none, or several.
std::string insteadOfTheOne(const std::string& thing, const KindPtr& noun, const Project& job) {
    const Piece* there = nullptr;
    const auto& pieces = job.scheme().pieces;
    const auto isIt = [&](const Piece& p) { return p.kind == noun; };
    const bool exact = std::any_of(pieces.begin(), pieces.end(), isIt);
    for (const Piece& p : pieces)
        if (exact ? isIt(p) : serves(p, *noun)) {
            if (there != nullptr)
                return {};
            there = &p;
        }
    if (there == nullptr)
        return {};
    static const std::regex place(" (?:on|in|at|under|over|above|by(?! ?[0-9])|beside|against|next "
                                  "to|near|between|behind|in front of|"
                                  "opposite|left of|right of) .*",
                                  std::regex::icase | std::regex::optimize);
    static const std::regex opens("^(?:an?|one|the|some) ", std::regex::icase);
    std::smatch found;
    if (there->kind == noun && std::regex_search(thing, found, place))
        return "move " + there->name + found[0].str();
    return "replace " + there->name + " by a " +
           withChairsAfter(std::regex_replace(thing, opens, ""));
}

} // namespace

std::string insteadOfThose(std::string_view text, const Project& job, const std::vector<int>& ids) {
    static const std::regex words(
        "(?:(?:try|use|put|place|add|have|hang|get|how about|what about|with|"
        "let's have|i want|make it|make that|do) )?(.+?),? instead"
        "(?: of (?:the two|both|them|it|these|those|that|all of them|the pair))?[.!?]*",
        std::regex::icase | std::regex::optimize);
    static const std::regex opens("^(?:an?|one|the|some) ", std::regex::icase);
    const std::string line(trimmed(text));
    std::smatch found;
    const auto names = namesOf(ids, job);
    if (line.size() > longestLine || names.size() != ids.size() ||
        !std::regex_match(line, found, words))
        return {};
    const std::string thing = found[1];
    if (const KindPtr noun = nounIn(thing, job)) {
        const auto those = [&](const auto& is) {
            return std::any_of(ids.begin(), ids.end(),
                               [&](int id) { return is(*job.scheme().byId(id)); });
        };
        const auto same = [&](const Piece& p) { return serves(p, *noun); };
        const auto& pieces = job.scheme().pieces;
        // One of a kind that nothing there is of: "stools instead" is said of the stools.
        static const std::regex one("(?:an?|one) .*", std::regex::icase);
        const bool alone =
            std::regex_match(thing, one) && std::none_of(pieces.begin(), pieces.end(), same);
        // "wardrobe 180 wide instead" is of the wardrobe, whatever else was spoken of.
        const auto exact = [&](const Piece& p) { return p.kind == noun; };
        if (!those(same) || (!those(exact) && std::any_of(pieces.begin(), pieces.end(), exact)))
            if (auto other = insteadOfTheOne(thing, noun, job); !other.empty())
                return other;
        if (!names.empty() && !those([&](const Piece& p) {
                return same(p) || p.kind->family == noun->family ||
                       (p.kind->hangs() && noun->hangs()) ||
                       (alone && furnishes(*p.kind) && furnishes(*noun));
            }))
            return {};
    }
    if (names.empty())
        return line.substr(0, static_cast<std::size_t>(found.position(1))) + thing;
    static const std::regex tv("\\b(?:tv|television)\\b", std::regex::icase);
    // Of one that hangs, one that hangs.
    const Piece& old = *job.scheme().byId(ids.front());
    const std::string like = old.onWall() && old.kind->family == Family::screen
                                 ? std::regex_replace(thing, tv, foldCase(old.kind->name))
                                 : thing;
    if (names.size() == 1)
        return "replace " + names.front() + " by a " + std::regex_replace(like, opens, "");
    return "remove " + joined(names) + "; then " + thing;
}

} // namespace mezzet
