// What stands in another order than the line has it, or is told by what it is for: sizes behind the
// place, each of some windows, pictures in rows, things on a mantel.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/place.h"
#include "edit/subjects.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/room.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>

namespace mezzet {

namespace {

constexpr const char* aLength = "[0-9]+(?:[.,][0-9]+)?(?:[ -]?[0-9]+/[0-9]+)?(?: "
                                "?(?:[”″′'\"]+|cm|mm|m|inches|inch|in|feet|foot|ft)"
                                "(?: ?[0-9]+(?:[”″\"]| ?in))?)?";

/// "bookcases either side of the fireplace, 30 wide and 7 feet high", "runners each side of the
/// bed, 60 x 180", "frames on wall B in two rows, 2 apart": what is said of the pieces themselves
/// goes before their place.
void sizesBeforeThePlace(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    if (!mentions(line,
                  {" wide", " deep", " high", " tall", " long", "x", " apart", " between", " gap"}))
        return;
    static const std::string one = fmt::format("{} ?(?:wide|deep|high|tall|long|across)", aLength);
    static const std::string by = fmt::format("{0} ?x ?{0}(?: ?x ?{0})?", aLength);
    static const auto pattern = fmt::format(
        "((?:(?:put|place|add|set|hang|stand|have|build|fit) )?[a-z0-9][a-z0-9 -]*?[a-z])((?:,? "
        "(?:on|in|at|against|along|under|over|above|below|behind|beside|next to|between|around|"
        "either side of|on either side of|on each side of|each side of|on both sides of|in front "
        "of|opposite|by|near|flanking|left of|right of|to the left of|to the right of) .+?)),? "
        "(?:each |all )?((?:{0})(?:(?:,| and|, and) (?:{0}))*|{1}|{2} ?(?:apart|between(?: "
        "them)?|gaps?))( each)?",
        one, by, aLength);
    static const auto words = meaning(pattern.c_str());
    std::smatch found;
    constexpr std::size_t longest = 160;
    if (line.size() > longest || !std::regex_match(line, found, words))
        return;
    const auto thing = found[1].str();
    const KindPtr kind = nounIn(thing, job);
    // "wall lamps beside the bed, 120 high": how high they hang, and no size.
    static const auto high = meaning("[^a-z]*(?:cm|mm|m|inches|inch|in|feet|foot|ft)? ?high");
    if (!kind || (kind->hangs() && std::regex_match(found[3].str(), high)))
        return;
    // The last clause first, and then what is before it: "…, 16 x 20, 2 between".
    static const auto between = meaning("(.*?) ?(?:between(?: them)?|gaps?)$");
    const auto clause = std::regex_replace(found[3].str(), between, "$1 apart");
    const auto shorter = thing + found[2].str();
    if (std::smatch more; std::regex_match(shorter, more, words)) {
        out.push_back(fmt::format("{} {} {}{}", thing, more[3].str(), clause, more[2].str()));
        return;
    }
    out.push_back(fmt::format("{} {}{}", thing, clause, found[2].str()));
}

/// "six 16x20 frames on wall B in two rows of three, 2 apart", "two rows of four prints over the
/// sofa", "a 3 x 2 grid of pictures on wall B": a gallery of so many rows.
void inRows(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" rows", " grid"}))
        return;
    static const auto first = meaning(
        "(?:(?:put|hang|place|add|make|set) )?(two|three|four|five|[2-5]) rows of "
        "([a-z0-9]+) (.+?)((?:,? )(?:on|over|above|in|between|beside|next to|left of|right of) "
        ".+)");
    static const auto last = meaning(
        "(?:(?:put|hang|place|add) )?((?:[0-9]+|four|five|six|seven|eight|nine|ten|twelve|fifteen|"
        "sixteen) .+?)((?:,? (?:on|over|above|between|beside|next to|left of|right of) .+?)?),? "
        "(?:in "
        "|as )?(two|three|four|five|[2-5]) rows?( of [a-z0-9]+)?((?:,? .*)?)");
    static const auto grid = meaning(
        "(?:(?:put|hang|place|add|make) )?(?:an? )?([2-6]) ?(?:x|by) ?([2-6]) (?:grid|block) of "
        "(.+?)((?:,? )(?:on|over|above|in|between|beside|next to|left of|right of) .+)");
    std::smatch found;
    const auto hangs = [&](const std::string& words) {
        KindPtr kind = nounIn(words, job);
        if (kind && kind->standsOn())
            kind = hungInstead(*kind, *job.library.kit);
        return kind && kind->hangs() && kind->role != Role::sconce;
    };
    const auto number = [&](const std::string& word) {
        WordsReader counted(word, job);
        int n = 0;
        return counted.takeCount(n) ? n : 0;
    };
    if (std::regex_match(line, found, grid)) {
        const int across = number(found[1]);
        const int down = number(found[2]);
        if (hangs(found[3]))
            out.push_back(fmt::format("gallery of {} {}, in {} rows{}", across * down,
                                      found[3].str(), down, found[4].str()));
        return;
    }
    if (std::regex_match(line, found, first)) {
        const int rows = number(found[1]);
        const int each = number(found[2]);
        if (rows * each > 1 && hangs(found[3]))
            out.push_back(fmt::format("gallery of {} {}, in {} rows{}", rows * each, found[3].str(),
                                      rows, found[4].str()));
        return;
    }
    if (!std::regex_match(line, found, last) || !hangs(found[1]))
        return;
    std::string rest = found[5];
    if (!rest.empty() && !rest.starts_with(","))
        rest = "," + rest;
    out.push_back(fmt::format("gallery of {}, in {} rows{}{}{}", found[1].str(), found[3].str(),
                              found[4].str(), found[2].str(), rest));
}

/// "a low bookcase under each window on wall D": a line for each window of that wall.
void eachWindowOfAWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"window"}))
        return;
    static const auto words =
        meaning("(.+?) (?:the |of the |of )?(each|every|both|all|the) (?:of (?:the )?)?(?:the |two "
                "|three )?"
                "(windows?) (?:on|in|of|along) (?:the )?wall ([a-z])(,? .+)?");
    std::smatch found;
    if (!std::regex_match(line, found, words))
        return;
    const auto wall = wallIndex(foldCase(found[4].str()));
    if (!wall || (foldCase(found[2].str()) == "the" && foldCase(found[3].str()) == "window"))
        return;
    std::vector<std::string> lines;
    static const auto twoOf = meaning("^((?:put |place |add |set |hang )?)(?:two|three|a pair of|2|"
                                      "3) ([a-z -]+?)s ");
    static const auto verb = meaning("^(?:put|place|add|set|hang|have|move|stand|centre|center) ");
    auto before = std::regex_replace(found[1].str() + " ", twoOf, "$1a $2 ");
    if (!std::regex_search(before, verb))
        before = "add " + before;
    for (const Opening& o : job.room->openings)
        if (o.wall == *wall && o.kind == OpeningKind::window)
            lines.push_back(fmt::format("{}{}{}", before, o.name(), found[5].str()));
    if (lines.size() > 1)
        out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
    else if (lines.size() == 1)
        out.push_back(lines.front());
}

/// "bookcases on either side of the windows", of several in one wall: left of the first of them,
/// and right of the last.
void eitherSideOfWindows(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    static const Saying words(
        "(?:put |place |add |hang |stand )?(?:an? |two |a pair of )?(.+?)(s?) (?:on |at )?"
        "(?:either|each|both) sides? of (?:the |both |the two )?windows((?:,? .+)?)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Opening* first = nullptr;
    const Opening* last = nullptr;
    for (const Opening& o : job.room->openings) {
        if (o.kind != OpeningKind::window)
            continue;
        if (first != nullptr && o.wall != first->wall)
            return;
        if (first == nullptr || o.left < first->left)
            first = &o;
        if (last == nullptr || o.left > last->left)
            last = &o;
    }
    if (first == nullptr || first == last || !nounIn(found[1].str(), job))
        return;
    out.push_back(fmt::format("add a {0} left of {1}{3}; then add a {0} right of {2}{3}",
                              found[1].str(), first->name(), last->name(), found[3].str()));
}

/// "center everything on the fireplace": all of it moved together, until the middle of what stands
/// is in line with that.
void everythingCentred(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:center|centre|line up|move|shift) (?:everything|it all|all of it|the furniture|"
        "the group|the whole group|all the furniture|the seating) (?:so it is centred |to "
        "the middle |up )?(?:on|with|in front of|over) (?:the |my )?(.+)");
    std::smatch found;
    const auto scene = sceneOf(job);
    if (!scene || !words.is(line, found))
        return;
    const auto t = targetNamed(found[1], job, false);
    const auto wall = t ? wallIn(*t, *job.room) : std::nullopt;
    if (!wall || t->is == Target::Is::wall)
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    Box all;
    bool any = false;
    for (const Placed& p : (*scene)->floor.placed)
        if (const Piece* piece = (*scene)->pieceById(p.id);
            piece != nullptr && !piece->kind->flat()) {
            all.include(p.pose.at);
            any = true;
        }
    if (!any)
        return;
    const double off = dot(middleOf(*t, **scene) - all.centre(), w.along());
    const Wall* toward =
        wallToward(*job.room, all.centre(), w.along() * (off > 0 ? 1.0 : -1.0)).wall;
    if (toward == nullptr || std::abs(off) < 1)
        return;
    out.push_back(fmt::format("move everything {} toward wall {}",
                              write(Length::millimetres(std::abs(off)), job.notation),
                              toward->name));
}

/// "a chair for clothes by the wardrobe", "side table beside the sofa for a cup of tea": what it is
/// for is no place, where it is nothing in the room.
void whatItIsFor(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" for ", " to hold", " to keep", " to store", " to put"}))
        return;
    // "a rug for under the table" tells a place.
    static const auto place =
        meaning("(.+?),? for ((?:above|over|under|beside|next to|behind|in front of|"
                "between|near|by|on|in|along|against|opposite) .+)");
    static const auto spot =
        meaning("(.+?),? for (?:the |an? |my )?((?:[a-z]+ )?corner|wall [a-z]|(?:foot|head|end) "
                "of .+)((?:,? .+)?)");
    static const Saying words(
        "(.+?),? (?:for|to hold|to keep|to store|to put) (?:my |the |our |some |all the |an? )?"
        "([a-z]+(?:(?: and| of| or)? [a-z]+){0,3}?)(?: on| in)?(,? (?:by|beside|next to|near|on|in|"
        "at|against|under|over|above|behind|in front of|opposite|between|along|left of|right of|to "
        "the) .+)?");
    static const auto traded =
        meaning("(?:swap|replace|exchange|change|switch|trade|make|move|turn|"
                "remove|take|leave|keep|use)\\b.*");
    if (std::regex_match(line, traded))
        return;
    std::smatch found;
    if (std::regex_match(line, found, place)) {
        out.push_back(fmt::format("{} {}", found[1].str(), found[2].str()));
        return;
    }
    if (std::regex_match(line, found, spot)) {
        const auto where = foldCase(found[2].str());
        out.push_back(fmt::format("{} {} {}{}", found[1].str(),
                                  where.starts_with("wall")   ? "on"
                                  : where.ends_with("corner") ? "in the"
                                                              : "at the",
                                  found[2].str(), found[3].str()));
        return;
    }
    if (!words.is(line, found) || !nounIn(found[1].str(), job))
        return;
    // What names a place, or something in the room, is no mere purpose.
    const auto purpose = found[2].str();
    static const auto told = meaning(
        ".*\\b(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|how|what|each|both|every|"
        "it|them|free|sale|corner|window|windows|door|wall|area|end|side|foot|head|middle|"
        "centre|center|room|hall|space|gap|spot|nook|alcove|floor|ceiling)\\b.*");
    const KindPtr named = nounIn(purpose, job);
    if (std::regex_match(purpose, told) || (named && !named->standsOn()) ||
        !piecesNamed("the " + purpose, job).empty() || targetNamed(purpose, job))
        return;
    out.push_back(found[1].str() + found[3].str());
}

/// "leave 70 each side of the bed": as it stands, where there is as much; else in the middle
/// between what is on both its sides.
void leaveAtTheSides(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:leave|keep|have|allow) (?:at least )?([0-9].*?) (?:free |clear )?(?:on |"
        "at )?(?:each|both|either) (?:side|sides|end|ends) of (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[2], job);
    const auto least = readLength(found[1].str(), job.notation.units);
    if (!it || !least)
        return;
    const Pose& pose = it.there->pose;
    const WallToward left = wallToward(*job.room, pose.at, -pose.right());
    const WallToward right = wallToward(*job.room, pose.at, pose.right());
    const double half = it.piece->size.width.mm() / 2;
    if (left.wall == nullptr || right.wall == nullptr ||
        (left.off + right.off) / 2 - half < least->mm())
        return;
    if (left.off - half >= least->mm() && right.off - half >= least->mm())
        out.push_back(fmt::format("move {} 0 left", it.piece->name));
    else
        out.push_back(
            fmt::format("{} {} from wall {}", it.piece->name,
                        write(Length::millimetres((left.off + right.off) / 2 - half), job.notation),
                        left.wall->name));
}

/// "cushions on the sofa": two, where no number is said; "books on the coffee table": a stack.
void pluralOnATop(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set |throw )?)(?:some |a few )?((?:[a-z]+ )?(?:cushion|"
        "pillow|candle|plant))s (on .+)");
    static const Saying books(
        "((?:put |place |add |set )?)(?:some |a few |the )?(?:books|magazines|"
        "coffee table books) (on (?:the |my )?(.+))");
    static const auto told = meaning("(?:two|three|four|five|six|the|my|both|all|pair|of) .+");
    std::smatch found;
    static const Saying ofThem(
        "((?:put |place |add |set |throw )?)(?:the |some )?([a-z -]+?s) ((?:on|in|by|"
        "at|under|beside|against|near|above|around|along) .+?),? (two|three|four|five|six|[2-9]) "
        "of them");
    if (ofThem.is(line, found)) {
        out.push_back(fmt::format("{}{} {} {}", found[1].str(), found[4].str(), found[2].str(),
                                  found[3].str()));
        return;
    }
    if (words.is(line, found) && !std::regex_match(found[2].str(), told) &&
        piecesNamed(found[2].str() + "s", job).empty()) {
        out.push_back(fmt::format("{}two {}s {}", found[1].str(), found[2].str(), found[3].str()));
    } else if (books.is(line, found)) {
        const Piece* on = pieceNamed(found[3], job);
        if (on != nullptr && on->kind->family == Family::table)
            out.push_back(fmt::format("{}a stack of books {}", found[1].str(), found[2].str()));
    }
}

/// "curtains 250 wide, floor to ceiling": from there, on the window that is named, or the only one.
void curtainsFromCeiling(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    static const Saying words(
        "(?:hang |put |add )?((?:[a-z]+ )?(?:curtains|drapes)) ([0-9][^,]*?) wide"
        "(?: (?:on|at|over) (.+?))?,? (?:from )?(?:the )?(?:floor to ceiling|ceiling to "
        "(?:the )?floor|floor to (?:the )?ceiling)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[1].str(), job);
    const auto windows = targetsNamed(found[3].matched ? found[3].str() : "window", job, false);
    if (!kind || kind->role != Role::curtain || windows.size() != 1)
        return;
    const Length foot = kind->hangAt;
    out.push_back(fmt::format("add {} {} wide {} high on {}, bottom at {}", found[1].str(),
                              found[2].str(), write(job.room->ceiling - foot, job.notation),
                              windows.front().first, write(foot, job.notation)));
}

/// "pendant 10 lower", of what hangs from the ceiling: so much farther down, and no other size.
void lightLower(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:hang |move |put )?(.+?) ([0-9][^a-z,]*(?: ?(?:cm|mm|m|inches|inch|in|feet|"
        "foot|ft))?) (lower|higher)(?: down| up)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    if (const Piece* p = pieceNamed(found[1], job); p != nullptr && p->on.isCeiling())
        out.push_back(fmt::format("{} {} {}",
                                  foldCase(found[3].str()) == "lower" ? "lower" : "raise", p->name,
                                  found[2].str()));
}

/// "two chairs against wall C", where chairs of one kind stand at a table: two more of those.
void chairsLikeThose(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |stand )?(?:two|three|four|a pair of|[2-4]) )(?:more |extra |"
        "spare |other )?chairs ((?:against|along|on|by|beside|next to|in|either side of|on "
        "either side of|under|between) .+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = onlyDiningTable(job);
    const auto& all = job.scheme().pieces;
    const bool some = std::any_of(all.begin(), all.end(),
                                  [](const Piece& p) { return p.kind->role == Role::diningChair; });
    const KindPtr kind = table != nullptr && some ? usualChair(job, table->id) : nullptr;
    if (kind)
        out.push_back(
            fmt::format("{}{}s {}", found[1].str(), foldCase(kind->name), found[2].str()));
}

/// "plants in both corners of wall A": one in each.
void inBothCorners(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:put |place |add |stand )?(?:an? |two |a pair of )?([a-z -]+?)s? in (?:both|each|"
        "the two) (?:of the )?corners? (?:of|on|at) (?:the )?wall ([a-z])");
    std::smatch found;
    if (!words.is(line, found) || !nounIn(found[1].str(), job))
        return;
    const auto wall = wallIndex(foldCase(found[2].str()));
    const auto n = static_cast<int>(job.room->walls.size());
    if (!wall || *wall >= n || n < 3)
        return;
    const auto named = [&](int i) { return wallName((i + n) % n); };
    out.push_back(fmt::format("add a {0} in corner {1}{2}; then add a {0} in corner {2}{3}",
                              found[1].str(), named(*wall - 1), named(*wall), named(*wall + 1)));
}

/// "pendants hanging 24 above the nightstands": one over each.
void pluralOverEach(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |hang )?)(?:the |some )?([a-z][a-z -]*?)s,? (?:hanging |"
        "hung )?([0-9][^,]*?) (above|over) (?:the |both |my |each of the )?([a-z -]+s)");
    std::smatch found;
    if (words.is(line, found) && job.library.kit->byWord(found[2].str()) &&
        piecesNamed(found[2].str() + "s", job).empty() &&
        piecesNamed("the " + found[5].str(), job).size() > 1)
        out.push_back(fmt::format("{}a {} {} {} each {}", found[1].str(), found[2].str(),
                                  found[3].str(), found[4].str(), plainWord(found[5].str())));
}

/// "two chairs and a little table by the window": the table between them.
void seatsAndATable(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set )?)(?:two|2|a pair of) ((?:[a-z]+ )?)(chairs|"
        "armchairs) (?:and|with) a (?:little |small |side |low |round |tiny )*table"
        "(?: between(?: them)?)? ((?:by|at|near|beside|under|in front of|on|against|"
        "opposite|facing) .+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    auto place = found[4].str();
    static const auto atIt = meaning("(?:by|at|near|beside|under|in front of) (?:the |my )?(.+)");
    if (std::smatch at; std::regex_match(place, at, atIt))
        if (const auto all = targetsNamed(at[1].str(), job, false);
            all.size() == 1 && all.front().second.is == Target::Is::window)
            place = "under " + all.front().first;
    const auto said = found[2].str() + foldCase(found[3].str());
    const auto chairs = said == "chairs" ? std::string("armchairs") : said;
    const KindPtr kind = job.library.kit->byWord(chairs);
    if (!kind)
        return;
    // They are named as they will be called.
    Scheme names = job.scheme();
    std::array<std::string, 2> called;
    for (auto& name : called) {
        Piece p;
        p.kind = kind;
        p.name = name = names.freeName(kind->name);
        names.pieces.push_back(std::move(p));
    }
    out.push_back(fmt::format("{}two {} {}; then add side table between {} and {}", found[1].str(),
                              chairs, place, called[0], called[1]));
}

} // namespace

std::vector<Meaning> meaningsOfOrdersFirst() {
    return {inRows, pluralOnATop, seatsAndATable, curtainsFromCeiling, lightLower, chairsLikeThose};
}

std::vector<Meaning> meaningsOfOrders() {
    return {eitherSideOfWindows, everythingCentred, sizesBeforeThePlace, eachWindowOfAWall,
            whatItIsFor,         leaveAtTheSides,   pluralOverEach,      inBothCorners};
}

} // namespace mezzet
