#include "speech/other_words.h"

#include "edit/subjects.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "speech/meant.h"
#include "speech/meant_words.h"
#include "speech/other_words_table.h"
#include "speech/speech.h"

#include <fmt/format.h>

#include <algorithm>
#include <regex>

namespace mezzet {

namespace {

constexpr const char* windowWear[] = {"curtain", "blind", "shade", "drape", "shutter"};

/// "24 x 36 portrait": the figures the way it stands.
std::string standing(const std::string& line) {
    static const auto said = [] {
        std::vector<std::regex> made;
        made.emplace_back(
            R"(\b(\d+(?:\.\d+)?) ?(?:x|by) ?(\d+(?:\.\d+)?),? (portrait|landscape|upright|standing|lying)\b)",
            std::regex::icase);
        return made;
    }();
    std::smatch found;
    if (!std::regex_search(line, found, said.front()))
        return line;
    std::string a = found[1];
    std::string b = found[2];
    const auto way = foldCase(found[3].str());
    const bool lies = way == "landscape" || way == "lying";
    if ((std::stod(a) > std::stod(b)) != lies)
        std::swap(a, b);
    return found.prefix().str() + a + " x " + b + found.suffix().str();
}

/// Whether a piece may be called so after its name: "the mill picture", "the kilim rug".
bool isA(const Piece& p, std::string_view what) {
    if (what == " mirror")
        return p.kind->role == Role::mirror;
    if (what == " rug")
        return p.kind->role == Role::rug;
    if (what == " lamp")
        return p.kind->family == Family::light;
    return p.kind->role == Role::art;
}

/// "the sideboard lamp": the only one that stands on or beside that; empty for none, or several.
std::string lampOf(const Piece& p, const Scheme& scheme) {
    std::string out;
    for (const Piece& lamp : scheme.pieces) {
        const bool there = (lamp.on.isCarried() && lamp.on.piece == p.id) ||
                           std::any_of(lamp.ties.begin(), lamp.ties.end(), [&](const Tie& t) {
                               return t.kind == Tie::Kind::fromPiece && t.of == pieceTarget(p.id);
                           });
        if (!there || lamp.kind->family != Family::light)
            continue;
        if (!out.empty())
            return {};
        out = lamp.name;
    }
    return out;
}

/// "the mill picture": a name and what it is.
std::string nameAlone(const std::string& line, const Project& job) {
    const auto folded = foldCase(line);
    constexpr const char* kinds[] = {" picture",    " painting", " print", " photo",
                                     " photograph", " mirror",   " rug",   " lamp"};
    if (std::none_of(std::begin(kinds), std::end(kinds),
                     [&](const char* what) { return folded.find(what) != std::string::npos; }))
        return line;
    for (const Piece& p : job.scheme().pieces) {
        const auto name = foldCase(p.name);
        for (const char* what : kinds) {
            const auto at = folded.find(name + what);
            // "desk lamp" is a kind, and no desk.
            if (at == std::string::npos || folded.size() != line.size() ||
                job.library.kit->byWord(name + what))
                continue;
            const auto end = at + name.size() + std::string_view(what).size();
            if (!isA(p, what)) {
                const auto lamp = what == std::string_view(" lamp") ? lampOf(p, job.scheme()) : "";
                if (!lamp.empty() && (end == line.size() || line[end] == ' '))
                    return line.substr(0, at) + lamp + line.substr(end);
                continue;
            }
            if ((at == 0 || folded[at - 1] == ' ') && (end == folded.size() || folded[end] == ' ' ||
                                                       folded[end] == ',' || folded[end] == '?'))
                return line.substr(0, at + name.size()) + line.substr(end);
        }
    }
    return line;
}

/// "two more chairs", "take a chair away", "is there room behind the chairs?", of the one table.
std::vector<std::string> aboutChairs(const std::string& line, const Project& job) {
    const Piece* of = onlyDiningTable(job);
    if (of == nullptr || line.find("chair") == std::string::npos)
        return {};
    const auto& table = of->name;
    const auto seats =
        std::count_if(job.scheme().pieces.begin(), job.scheme().pieces.end(), [&](const Piece& p) {
            return std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                return t.kind == Tie::Kind::atPlace && t.of == pieceTarget(of->id);
            });
        });
    static const std::regex more(
        "(?:add |put |bring |have )?(?:in )?(an?|[a-z]+|[0-9]+)(?: more| extra) "
        "(?:dining )?chairs?(?: (?:to|at|around|round|for) (?:the |my )?.*table)?",
        std::regex::icase);
    static const std::regex less(
        "(?:take|remove|lose|delete|get rid of|take away|take out) "
        "(an?|[a-z]+|[0-9]+)(?: of the)? (?:dining )?chairs?(?: away| out)?"
        "(?: from (?:the |my )?.*table)?",
        std::regex::icase);
    static const std::regex behind(
        ".*\\b(?:room|space|walk|get|pass)\\b.* (?:behind|(?:pull|draw|push|move|slide)(?: out| "
        "back)?) (?:the |my |all the )?(?:dining )?chairs?(?: out| back)?\\??",
        std::regex::icase);
    static const std::regex alone(
        "(?:add |put |bring |have |with )?((?!an? )[a-z]+|[0-9]+) (?:dining )?chairs",
        std::regex::icase);
    std::smatch found;
    if (std::regex_match(line, behind))
        return {"how much room is behind the chairs?"};
    // "8 chairs", of a table that has none yet.
    if (seats == 0 && std::regex_match(line, found, alone))
        if (int n = 0; WordsReader(found[1].str(), job).takeCount(n))
            return {fmt::format("{} chairs around {}", n, table)};
    const bool added = std::regex_match(line, found, more);
    if (!added && !std::regex_match(line, found, less))
        return {};
    const auto word = foldCase(found[1].str());
    int n = word == "a" || word == "an" ? 1 : 0;
    if (n == 0 && !WordsReader(word, job).takeCount(n))
        return {};
    const auto now = added ? seats + n : seats - n;
    if (seats == 0 || n <= 0 || now <= 0)
        return {};
    return {fmt::format("seat {} with {}", table, now)};
}

/// Where a sentence goes on with another: "…, with a floor lamp beside it", "… and two armchairs
/// opposite it", "… and move the table left".
const std::regex& goesOn() {
    static const std::regex words(
        "(?:,|;|\\.)? (?:(?:and )?then |and also |and "
        "(?=(?:put|place|hang|move|add|turn|slide|push|"
        "pull|make|set|stand|remove|take|bring|shift|raise|lower|swap|cent(?:er|re)|rotate|face|"
        "nudge|an?|one|two|three|four|five|six|[0-9]+)\\b)|with (?=(?:an?|one|two|three|four|five|"
        "six|[0-9]+|some|the) |[a-z ]+s (?:on|beside|either|at|in|under|over|by)\\b))",
        std::regex::icase | std::regex::optimize);
    return words;
}

std::string replaced(const std::string& text, const char* pattern, const std::string& by) {
    return std::regex_replace(text, std::regex(pattern, std::regex::icase), by);
}

/// What is long, quoted, named or given as a reason is no speech of ours.
bool isTheirOwn(std::string_view text) {
    if (text.size() > 300)
        return true;
    // A quote stands before a word; behind a figure or its fraction it is the mark of inches.
    for (auto at = text.find('"'); at != std::string_view::npos; at = text.find('"', at + 1)) {
        const auto before = at == 0 ? ' ' : text[at - 1];
        const bool fraction = static_cast<unsigned char>(before) >= 0x80U;
        if (!fraction && (before < '0' || before > '9'))
            return true;
    }
    const auto folded = foldCase(text);
    for (const char* free : {"“", "called ", "named ", "because ", "note ", "title "})
        if (folded.find(free) != std::string::npos)
            return true;
    return false;
}

} // namespace

std::vector<std::pair<std::string, std::string>> inTwoParts(std::string_view text) {
    const std::string line(trimmed(text));
    std::vector<std::pair<std::string, std::string>> out;
    if (isTheirOwn(line))
        return out;
    for (auto at = std::sregex_iterator(line.begin(), line.end(), goesOn());
         at != std::sregex_iterator(); ++at) {
        const auto from = static_cast<std::size_t>(at->position());
        out.emplace_back(line.substr(0, from),
                         line.substr(from + static_cast<std::size_t>(at->length())));
    }
    std::reverse(out.begin(), out.end());
    // "a dressing table with a stool on wall A": the place is the table's.
    static const std::regex together(
        "((?:(?:put|place|add|set|stand|have) )?(?!the |my |it |them |this |that )(?:(?:an?|one) "
        ")?(?:(?!\\b(?:on|against|along|"
        "in|under|by|near|at|between|beside|opposite|facing|over|behind)\\b).)+?),? with (an?|one|"
        "two|three|four|five|six|eight|some|[0-9]+) ([a-z -]+?) ((?:on|against|along|in|under|by|"
        "near|at|between|next to|beside|opposite|facing|in front of|behind|over|(?:to the |on the "
        ")?"
        "(?:left|right) of) .+)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, together) &&
                           !foldCase(found[4].str()).starts_with("on each") &&
                           !foldCase(found[4].str()).starts_with("on it"))
        out.emplace(out.begin(), found[1].str() + " " + found[4].str(),
                    found[2].str() + " " + found[3].str());
    // "put the tv on a stand opposite the bed": the stand has the place.
    static const std::regex onANew(
        "((?:put|place|add|set|stand|have) )?(.+?) on (an?) ([a-z -]+?) ((?:against|along|in the|"
        "in a|in corner|under|by|near|at the|between|beside|next to|opposite|facing|in front of|"
        "behind|left of|right of|to the|on wall|on the) .+)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, onANew)) {
        const auto noun = foldCase(found[4].str());
        const auto folded = foldCase(found[2].str());
        const bool tv = folded.ends_with("tv") || folded.ends_with("television");
        const bool stand = noun == "stand" || noun == "unit" || noun == "bench";
        if (noun != "wall")
            out.emplace_back(found[3].str() + " " + (tv && stand ? "tv stand" : found[4].str()) +
                                 " " + found[5].str(),
                             found[2].str() + " on it");
    }
    // "a chair and an ottoman in the corner", "tray and two candles on the dresser": one there, and
    // the other by it, or there too.
    static const std::regex bothThere(
        "((?:put|place|add|set|stand|have|hang) )?((?!the |my |both |all )(?:(?:an?|one|some|two|"
        "three|four) )?"
        "(?:(?!\\b(?:on|against|along|in|under|by|near|at|between|beside|opposite|facing|over|"
        "behind|"
        "of(?! (?:books|magazines|fruit|flowers|keys|candles))|and|or)\\b)[a-z -])+?),? and "
        "((?:an?|one|two|three|four|five|six|some|[2-9]) )?([a-z "
        "-]+?) "
        "((?:on|against|along|in|under|by|near|at|between|next to|beside|opposite|facing|in front "
        "of|"
        "behind|over|above) .+)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, bothThere)) {
        const auto place = found[5].str();
        const auto count = found[3].matched ? found[3].str() : std::string("a ");
        const auto second = foldCase(found[4].str());
        const bool footrest = second.ends_with("ottoman") || second.ends_with("footstool") ||
                              second.ends_with("pouf") || second.ends_with("pouffe");
        // "a chair and a desk by the window": the desk is there, and the chair at it.
        const auto firstNoun = foldCase(found[2].str());
        const bool chair = firstNoun.ends_with("chair") || firstNoun.ends_with("stool");
        const bool atIt = second.ends_with("desk") || second.ends_with("table");
        const bool floor = !foldCase(place).starts_with("on ") ||
                           foldCase(place).find("floor") != std::string::npos;
        static const std::regex several("(?:two|three|four) .+", std::regex::icase);
        const auto first = found[1].str() + found[2].str() + " " + place;
        if (floor && std::regex_match(firstNoun, several)) {
            // Several of them stand where they are told to, and not one beside the other.
        } else if (chair && atIt)
            out.emplace(out.begin(), found[1].str() + count + second + " " + place,
                        (second.ends_with("desk") && firstNoun.ends_with("chair") ? "desk chair"
                                                                                  : firstNoun) +
                            " at it");
        else if (footrest)
            out.emplace(out.begin(), first, count + second + " in front of it");
        else if (floor)
            out.emplace(out.begin(), first, count + second + " beside it");
        else
            out.emplace(out.begin(), first, count + second + " " + place);
    }
    // "armchair right of the sofa, turned a little toward it": toward what it is placed by.
    static const std::regex turnedToIt(
        "(.+ (?:of|to|by|beside|near|behind|opposite|from|under) ((?:the |my )?[a-z0-9 ]+?)),? "
        "(?:and )?(?:turned|angled|swivelled|swiveled|facing)(?: (?:a little|slightly|a bit|in))* "
        "(?:toward|towards|to) (it|them)",
        std::regex::icase | std::regex::optimize);
    static const std::regex turnedTo("(.+?),? (?:and )?(?:turned|angled|swivelled|swiveled)((?: "
                                     "(?:a little|slightly|a bit|in))+) "
                                     "(?:toward|towards|to) (.+)",
                                     std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, turnedToIt))
        out.emplace(out.begin(), found[1].str(), "angle it 15 degrees toward " + found[2].str());
    else if (std::regex_match(line, found, turnedTo))
        out.emplace(out.begin(), found[1].str(), "angle it 15 degrees toward " + found[3].str());
    // "replace the rug with two runners"
    static const std::regex byTwo(
        "((?:replace|swap|exchange|change) .+? (?:with|by|for|to) )(?:two|"
        "2|a pair of) (.+?)s",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, byTwo))
        out.emplace_back(found[1].str() + "a " + found[2].str(),
                         "another " + found[2].str() + " right of it");
    // "three pictures over the dresser instead of the mirror"
    static const std::regex instead("(.+?),? (?:instead of|in place of) (.+)",
                                    std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, instead))
        out.emplace_back("remove " + found[2].str(), found[1].str());
    // "two armchairs facing each other in front of the fire"
    static const std::regex across("((?:put |place |add |set |have )?(?:two|2|a pair of) .+?) "
                                   "facing (?:each other|one another) "
                                   "(?:in front of|by|at|before|beside|either side of|on either "
                                   "side of|around) (?:the )?((?:fire|"
                                   "chimney|hearth|stove|window).*)",
                                   std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, across))
        out.emplace_back(found[1].str() + " either side of the " + found[2].str(),
                         "turn them to face each other");
    // "drapes on the windows and the french doors"
    static const std::regex bothOpenings(
        "(.+? )(?:on|at|over) ((?:the |both |all )*windows?(?: [0-9])?) and (?:on |at )?((?:the "
        ")?(?:[a-z]+ )?(?:doors?|windows?)(?: [0-9])?)",
        std::regex::icase | std::regex::optimize);
    static const std::regex added("^(?:put|place|add|hang) ", std::regex::icase);
    if (std::smatch found; std::regex_match(line, found, bothOpenings))
        out.emplace(out.begin(), found[1].str() + "on " + found[2].str(),
                    "add " + std::regex_replace(found[1].str(), added, "") + "on " +
                        found[3].str());
    // "two chairs flanking the fireplace, facing the sofa"
    static const std::regex atAFire(
        "((?:put |place |add |set |have )?(?:two|2|a pair of|pair of) .+?) (?:flanking|on either "
        "side "
        "of|either side of|on each side of|each side of|on both sides of|by|at|beside) (?:the "
        ")?((?:fire|"
        "chimney|hearth|stove|window|mantel)[a-z ]*),? (?:and )?(?:facing|turned to|turned toward|"
        "turned towards|looking at) (.+)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, atAFire))
        out.emplace(out.begin(), found[1].str() + " either side of the " + found[2].str(),
                    "turn them to face " + found[3].str());
    // "make the couch 90 and the coffee table 50": so with both.
    static const std::regex alike(
        "(make|move|raise|lower|turn|push|pull|slide|shift) ((?:the|my) .+?),? "
        "and (?:also )?((?:the|my) .+)",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, alike))
        out.emplace_back(found[1].str() + " " + found[2].str(),
                         found[1].str() + " " + found[3].str());
    // "make the coffee table round, 40 across"
    static const std::regex round("(make|have) (.+?) round,? (?:and )?([0-9].*?)"
                                  "(?: across| wide| in diameter| diameter| dia)?",
                                  std::regex::icase | std::regex::optimize);
    static const std::regex roundTable(
        "(?:make )?((?:the |my )?(?:[a-z]+ )?table) (?:round,? (?:and )?([0-9].*?)|([0-9][^,]*?) "
        "round)(?: across| wide| in diameter| diameter| dia)?",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_match(line, found, round))
        out.emplace_back("make " + found[2].str() + " round",
                         "make it " + found[3].str() + " round");
    else if (std::regex_match(line, found, roundTable))
        out.emplace_back("make " + found[1].str() + " round",
                         "make it " + found[2].str() + found[3].str() + " round");
    // "a kids table with two chairs": as small.
    static const std::regex small("\\b(?:kids?|child|toddler)", std::regex::icase);
    static const std::regex chairs(
        "((?:an?|one|two|three|four|2|3|4) )(?:small |little )?(chairs?\\b.*)",
        std::regex::icase | std::regex::optimize);
    for (auto& [first, second] : out)
        if (std::smatch found;
            std::regex_match(second, found, chairs) && std::regex_search(first, small))
            second = found[1].str() + "child's " + found[2].str();
    std::erase_if(out, [](const auto& p) { return p.first.empty() || p.second.empty(); });
    return out;
}

namespace {

/// The names of the two openings of a kind in the only wall that has two; none where there is no
/// such wall, or several, or it has more.
std::vector<std::string> twoOf(OpeningKind kind, const Room& room) {
    std::vector<std::string> out;
    if (const auto wall = wallOfSeveral(kind, room))
        for (const Opening& o : room.openings)
            if (o.kind == kind && o.wall == *wall)
                out.push_back(o.name());
    return out.size() == 2 ? out : std::vector<std::string>();
}

/// Curtains and the like, of which each window has its own.
bool isWindowWear(const std::string& folded) {
    return std::any_of(std::begin(windowWear), std::end(windowWear),
                       [&](const char* w) { return folded.find(w) != std::string::npos; });
}

/// A way of saying, and what is said instead.
struct Known {
    Saying words;
    const char* instead;
    bool drops; ///< as its entry has it
};
std::vector<Known> known(std::initializer_list<std::span<const OtherWords>> tables) {
    std::vector<Known> made;
    for (const auto table : tables)
        for (const OtherWords& o : table)
            made.push_back({Saying(o.said), o.instead, o.drops});
    return made;
}

/// "the bathroom door" is the door, "the kitchen window" the window, where no note says where one
/// leads to.
std::string plainOpenings(const std::string& line, const Project& job) {
    static const std::regex whose(
        "\\b(?:the|my|our) (front|main|entrance|entry|house|back|rear|side|bathroom|bath|ensuite|"
        "en-suite|bedroom|kitchen|hall|hallway|closet|cupboard|pantry|utility|laundry|patio|garden|"
        "balcony|terrace|porch|cellar|basement|garage|office|living room|dining room|room|entrance "
        "hall|lounge|street) (door|window)\\b",
        std::regex::icase | std::regex::optimize);
    std::smatch found;
    if (!std::regex_search(line, found, whose))
        return line;
    const auto where = foldCase(found[1].str());
    if (targetNamed(where + " " + foldCase(found[2].str()), job, false))
        return line;
    if (std::any_of(job.room->openings.begin(), job.room->openings.end(), [&](const Opening& o) {
            return foldCase(o.leadsTo).find(where) != std::string::npos;
        }))
        return line;
    return found.prefix().str() + "the " + found[2].str() + found.suffix().str();
}

/// The line with what is said for other words put as those.
std::string withinPut(std::string line) {
    line = inFigures(std::move(line));
    static const auto all = known({otherWithin()});
    for (const Known& one : all)
        if (one.words.canBeIn(foldCase(line)))
            line = std::regex_replace(line, one.words.pattern(), one.instead);
    return line;
}

/// Whether every figure of a line is in what it is put as, which is no question: "lower it so it is
/// 4 above the mantel" is not "lower it".
bool keepsFigures(std::string_view line, std::string_view said) {
    constexpr std::string_view digits = "0123456789";
    if (line.find_first_of(digits) == std::string_view::npos || isQuestion(said))
        return true;
    const auto figures = [&](std::string_view text) {
        std::vector<std::string_view> out;
        for (auto at = text.find_first_of(digits); at != std::string_view::npos;) {
            const auto end = std::min(text.find_first_not_of(digits, at), text.size());
            out.push_back(text.substr(at, end - at));
            at = text.find_first_of(digits, end);
        }
        return out;
    };
    const auto kept = figures(said);
    const auto all = figures(line);
    return std::all_of(all.begin(), all.end(), [&](std::string_view f) {
        return std::find(kept.begin(), kept.end(), f) != kept.end();
    });
}

std::vector<std::string> saidOtherwise(std::string_view text, const Project& job) {
    std::string line(trimmed(text));
    const auto folded = foldCase(line);
    std::vector<std::string> out;
    // Things named together: "between the windows", "around the table".
    std::string whole = line;
    for (const auto& [many, one, kind] : {std::tuple{"windows", "window", OpeningKind::window},
                                          std::tuple{"doors", "door", OpeningKind::door}}) {
        if (folded.find(many) == std::string::npos)
            continue; // a line is read at every key
        const auto count = std::count_if(job.room->openings.begin(), job.room->openings.end(),
                                         [is = kind](const Opening& o) { return o.kind == is; });
        const auto two = twoOf(kind, *job.room);
        // "on all three windows", of as many.
        static const std::regex allOf(
            "\\b(?:all|both|all of the|all the) (two|three|four|five|six|[2-6]) "
            "(window|door)s\\b(?! (?:on|in|of) )",
            std::regex::icase | std::regex::optimize);
        if (std::smatch found;
            std::regex_search(whole, found, allOf) && foldCase(found[2].str()) == one)
            if (int n = 0; WordsReader(found[1].str(), job).takeCount(n) && n == count)
                whole = found.prefix().str() + "each " + one + found.suffix().str();
        // The two there are, or those of the only wall that has two.
        if (count == 2 || two.size() == 2)
            whole = replaced(
                whole,
                fmt::format("between (?:the )?(?:two )?{}\\b(?! (?:on|in|of) )", many).c_str(),
                count == 2 ? fmt::format("between {0} 1 and {0} 2", one)
                           : fmt::format("between {} and {}", two[0], two[1]));
        if (two.size() != 2)
            continue;
        const auto centred = fmt::format("centred between {} and {}", two[0], two[1]);
        // "along wall A, under the windows"
        whole = replaced(whole,
                         fmt::format("\\b((?:on|along|against) (?:the )?wall [a-z]),? "
                                     "(?:under|below|beneath) the {}\\b",
                                     many)
                             .c_str(),
                         "$1, " + centred);
        // "under the two windows", of one wall.
        if (const auto in = count == 2 ? wallOfSeveral(kind, *job.room) : std::nullopt)
            whole =
                replaced(whole,
                         fmt::format("\\b(?:cent(?:ere|re)d )?(?:under|below|beneath|against|"
                                     "on|at|in front of|before|by) (?:the two|{}the pair of) {}\\b",
                                     isWindowWear(folded) ? "" : "both|the|", many)
                             .c_str(),
                         fmt::format("on wall {}, {}", wallName(*in), centred));
    }
    // "the shelves", where what has shelves is one bookcase.
    if (folded.find("the shelves") != std::string::npos) {
        const Piece* unit = nullptr;
        int units = 0;
        bool shelf = false;
        for (const Piece& p : job.scheme().pieces) {
            shelf = shelf || p.kind->role == Role::shelf;
            if (p.openings() > 0 && p.on.isFloor()) {
                unit = &p;
                ++units;
            }
        }
        if (units == 1 && !shelf)
            whole = replaced(whole, "\\bthe shelves\\b", unit->name);
    }
    if (const Piece* table = onlyDiningTable(job);
        table != nullptr &&
        (folded.find("chair") != std::string::npos || folded.find("stool") != std::string::npos ||
         folded.find("seat") != std::string::npos || folded.find("sit ") != std::string::npos ||
         folded.find("people") != std::string::npos || folded.find("guests") != std::string::npos))
        whole = replaced(whole, "\\b(?:the|this|that|my|our) table\\b", table->name);
    // "toward the windows", "facing the window", of several in one wall.
    if (const auto wall = folded.find("window") != std::string::npos
                              ? onlyWallOf(OpeningKind::window, *job.room)
                              : std::nullopt) {
        const auto by = fmt::format("$1 wall {}", wallName(*wall));
        whole =
            replaced(whole,
                     "\\b(toward|towards|to|from|along|facing|face|faces|opposite|across from|away "
                     "from|nearer|under|below|off) the windows\\b",
                     by);
        if (wallOfSeveral(OpeningKind::window, *job.room))
            whole = replaced(
                whole,
                "\\b(toward|towards|facing|face|faces|opposite|across from|away "
                "from|back to|to face|closer to|nearer to|nearer) the window\\b(?! ?[0-9]| on)",
                by);
    }
    // "the two armchairs", where that is how many there are.
    static const std::regex counted(
        "\\b(?:the|both|all) (two|three|four|five|six|[2-6]) ([a-z]+s)\\b",
        std::regex::icase | std::regex::optimize);
    if (std::smatch found; std::regex_search(whole, found, counted)) {
        int n = 0;
        if (WordsReader(found[1].str(), job).takeCount(n) &&
            static_cast<int>(piecesNamed("the " + found[2].str(), job).size()) == n)
            whole = found.prefix().str() + "the " + found[2].str() + found.suffix().str();
    }
    whole = nameAlone(standing(withinPut(plainOpenings(whole, job))), job);
    if (whole != line)
        out.push_back(whole);
    for (auto& said : aboutChairs(whole, job))
        out.push_back(std::move(said));
    static const auto patterns =
        known({otherWords(), askedOtherwise(), moreOtherWords(), otherChanges(), otherQuestions()});
    const auto wholeFolded = foldCase(whole);
    for (const Known& one : patterns)
        if (std::smatch found;
            one.words.canBeIn(wholeFolded) && std::regex_match(whole, found, one.words.pattern()))
            if (auto said = found.format(one.instead); one.drops || keepsFigures(whole, said))
                out.push_back(std::move(said));
    for (auto& said : asMeant(whole, job))
        out.push_back(std::move(said));
    return out;
}

} // namespace

std::vector<std::string> inOtherWords(std::string_view text, const Project& job, bool twice) {
    if (isTheirOwn(text))
        return {};
    // What was put otherwise may be put otherwise once more: "a second lamp at the other end of
    // the sofa". A line is read at every key, so not many are tried.
    constexpr std::size_t most = 18;
    std::vector<std::string> out = saidOtherwise(text, job);
    const std::size_t once = out.size();
    for (std::size_t i = 0; twice && i < once && out.size() < most; ++i)
        for (auto& said : saidOtherwise(out[i], job))
            if (said != text && std::find(out.begin(), out.end(), said) == out.end())
                out.push_back(std::move(said));
    if (out.size() > most)
        out.resize(most);
    return out;
}

} // namespace mezzet
