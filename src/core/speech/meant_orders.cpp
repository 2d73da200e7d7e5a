// What stands in another order than the line has it, or is told by what it is for: sizes behind the
// place, each of some windows, a trunk as a coffee table, things on a mantel.
#include "fits/fits.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/room.h"
#include "scheme/on_wall.h"
#include "speech/meant.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

constexpr const char* aLength = "[0-9][0-9.,/ ]*(?:[”′″'\"]+|cm|mm|m|inches|inch|in|feet|foot|ft)?";

/// "bookcases either side of the fireplace, 30 wide and 7 feet high", "runners each side of the
/// bed, 60 x 180", "frames on wall B in two rows, 2 apart": what is said of the pieces themselves
/// goes before their place.
void sizesBeforeThePlace(const std::string& line, const Project& job,
                         std::vector<std::string>& out) {
    if (!mentions(line, {" wide", " deep", " high", " tall", " long", " x ", "x", " apart"}))
        return;
    static const std::string one = fmt::format("{} ?(?:wide|deep|high|tall|long|across)", aLength);
    static const std::string by = fmt::format("{0} ?x ?{0}(?: ?x ?{0})?", aLength);
    static const auto pattern = fmt::format(
        "((?:(?:put|place|add|set|hang|stand|have|build|fit) )?[a-z0-9][a-z0-9 -]*?[a-z])((?:,? "
        "(?:on|in|at|against|along|under|over|above|below|behind|beside|next to|between|around|"
        "either side of|on either side of|on each side of|each side of|on both sides of|in front "
        "of|opposite|by|near|flanking|left of|right of|to the left of|to the right of) .+?)),? "
        "(?:each |all )?((?:{0})(?:(?:,| and|, and) (?:{0}))*|{1}|{2} ?apart)( each)?",
        one, by, aLength);
    static const auto words = meaning(pattern.c_str());
    std::smatch found;
    constexpr std::size_t longest = 160;
    if (line.size() > longest || !std::regex_match(line, found, words))
        return;
    const auto thing = found[1].str();
    if (!nounIn(thing, job))
        return;
    out.push_back(fmt::format("{} {}{}", thing, found[3].str(), found[2].str()));
}

/// "six 16x20 frames on wall B in two rows of three, 2 apart", "two rows of four prints over the
/// sofa", "a 3 x 2 grid of pictures on wall B": a gallery of so many rows.
void inRows(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" rows", " grid"}))
        return;
    static const auto first =
        meaning("(?:(?:put|hang|place|add|make|set) )?(two|three|four|five|[2-5]) rows of "
                "([a-z0-9]+) (.+?)((?:,? )(?:on|over|above|in|between|beside|next to|left of|right of) "
                ".+)");
    static const auto last = meaning(
        "(?:(?:put|hang|place|add) )?((?:[0-9]+|four|five|six|seven|eight|nine|ten|twelve|fifteen|"
        "sixteen) .+?)((?:,? (?:on|over|above|between|beside|next to|left of|right of) .+?)?),? (?:in "
        "|as )?(two|three|four|five|[2-5]) rows?( of [a-z0-9]+)?((?:,? .*)?)");
    static const auto grid = meaning(
        "(?:(?:put|hang|place|add|make) )?(?:an? )?([2-6]) ?(?:x|by) ?([2-6]) (?:grid|block) of "
        "(.+?)((?:,? )(?:on|over|above|in|between|beside|next to|left of|right of) .+)");
    std::smatch found;
    const auto hangs = [&](const std::string& words) {
        const KindPtr kind = nounIn(words, job);
        return kind && kind->hangs() && kind->role != Role::sconce;
    };
    static const auto number = [](const std::string& word) {
        static constexpr std::string_view names[] = {"",    "one", "two",   "three", "four",
                                                     "five", "six", "seven", "eight"};
        const auto w = foldCase(word);
        for (std::size_t i = 1; i < std::size(names); ++i)
            if (w == names[i] || w == std::to_string(i))
                return static_cast<int>(i);
        return 0;
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
void eachWindowOfAWall(const std::string& line, const Project& job,
                       std::vector<std::string>& out) {
    if (!mentions(line, {"window"}))
        return;
    static const auto words = meaning(
        "(.+?) (?:the |of the |of )?(each|every|both|all|the) (?:of (?:the )?)?(?:the |two |three )?"
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

/// "a chair for clothes by the wardrobe", "side table beside the sofa for a cup of tea": what it is
/// for is no place, where it is nothing in the room.
void whatItIsFor(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?),? (?:for|to hold|to keep|to store|to put) (?:my |the |our |some |all the |an? )?"
        "([a-z]+(?:(?: and| of| or)? [a-z]+){0,3}?)(?: on| in)?(,? (?:by|beside|next to|near|on|in|"
        "at|against|under|over|above|behind|in front of|opposite|between|along|left of|right of|to "
        "the) .+)?");
    std::smatch found;
    if (!words.is(line, found) || !nounIn(found[1].str(), job))
        return;
    const auto purpose = found[2].str();
    static const auto traded = meaning("(?:swap|replace|exchange|change|switch|trade|make|move|turn|"
                                       "remove|take|leave|keep|use)\\b.*");
    if (std::regex_match(line, traded) || nounIn(purpose, job))
        return;
    if (!piecesNamed("the " + purpose, job).empty() || targetNamed(purpose, job))
        return;
    static const auto number = meaning("(?:one|two|three|four|five|six|seven|eight|nine|ten|"
                                       "twelve|how|what|each|both|every|it|them|free|sale)\\b.*");
    if (std::regex_match(purpose, number))
        return;
    out.push_back(found[1].str() + found[3].str());
}

/// "three shelves on wall D right of the window": over each other, where there is no room for them
/// in a row; asked where they were refused so.
void shelvesInAColumn(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"shelves"}) ||
        mentions(line, {" apart", "above each", "over each", " row", "one above", "one over"}))
        return;
    static const auto words = meaning("(?:(?:put|hang|add|place) )?(?:two|three|four|five|six|[2-6]) "
                                      "(?:[a-z]+ )?shelves .+");
    if (std::regex_match(line, words) && nounIn(line, job))
        out.push_back(line + ", one above the other");
}

/// "crib beside the bed", of one that would go through a wall so: along the bed, its end to the wall
/// that the bed's head is at, past the nightstand where one stands there; on the side with more room
/// first.
void turnedBeside(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("((?:(?:put|place|add|stand|set) )?(?:an? |the )?(.+?)) (beside|next "
                              "to|by|near|alongside|(?:to the |on the )?(?:left|right)(?: side)? of) "
                              "(?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr kind = nounIn(found[2].str(), job);
    const auto it = standsNamed(found[4], job);
    const auto wall = it ? wallBehind(*it.scene, it.piece->id) : std::nullopt;
    if (!kind || !wall || kind->flat() || kind->size.width <= kind->size.depth ||
        !kind->takesFloor() || it.piece->kind->role != Role::bed ||
        pieceNamed(found[2], job) != nullptr)
        return;
    const auto room = [&](double sign) {
        double least = 1e300;
        const Vec2 way = it.there->pose.right() * sign;
        for (const Wall& w : job.room->walls)
            if (dot(w.inward(), way) < -0.7)
                least = std::min(least, dot(it.there->pose.at - w.start, w.inward()));
        return least;
    };
    const auto said = foldCase(found[3].str());
    std::vector<Side> sides{Side::left, Side::right};
    if (room(1) > room(-1))
        std::swap(sides[0], sides[1]);
    if (said.find("left") != std::string::npos || said.find("right") != std::string::npos)
        sides = {said.find("left") != std::string::npos ? Side::left : Side::right};
    const auto size = [&](Length l) { return write(l, job.notation); };
    for (const Side side : sides) {
        Length off;
        for (const Piece& p : job.scheme().pieces)
            if (std::any_of(p.ties.begin(), p.ties.end(), [&](const Tie& t) {
                    return t.kind == Tie::Kind::fromPiece && t.side == side &&
                           t.of == pieceTarget(it.piece->id);
                }))
                off = std::max(off, p.size.depth);
        const bool left = side == Side::left;
        out.push_back(fmt::format("{} turned {:.0f}, 0 {} of {}, {} from wall {}", found[1].str(),
                                  turnToFace(it.there->pose.right() * (left ? 1 : -1)).inDegrees(),
                                  left ? "left" : "right", it.piece->name, size(off),
                                  wallName(*wall)));
    }
}

/// "two wardrobes on wall B", where they stand only just: side by side in the first free stretch
/// that has room for all, in its middle.
void packedOnAWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|stand|set) )?(two|three|four|a pair of|[2-4]) ([a-z -]+?)s(?: side by "
        "side| next to each other)? (?:on|against|along|at) (?:the )?wall ([a-z])(?: side by side)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto many = foldCase(found[1].str());
    const int count = many == "three" || many == "3" ? 3 : many == "four" || many == "4" ? 4 : 2;
    const auto wall = wallIndex(foldCase(found[3].str()));
    const KindPtr kind = job.library.kit->byWord(found[2].str());
    const auto scene = sceneOf(job);
    if (!wall || *wall >= static_cast<int>(job.room->walls.size()) || !kind || kind->hangs() ||
        !kind->takesFloor() || kind->flat() || !scene)
        return;
    const double wide = kind->size.width.mm();
    constexpr double close = 0.01; // mm
    for (const auto& [from, to] :
         freeAlong(**scene, *wall, kind->size.depth.mm(), kind->size.height)) {
        const double spare = to - from - count * wide;
        if (spare < -close)
            continue;
        std::vector<std::string> lines;
        for (int i = 0; i < count; ++i)
            lines.push_back(fmt::format(
                "add {} against wall {}, {} from the left corner", kind->name, wallName(*wall),
                write(Length::millimetres(from + std::max(0.0, spare) / 2 + i * wide),
                      job.notation)));
        out.push_back(fmt::format("{}", fmt::join(lines, "; then ")));
        return;
    }
}

/// What stands before a fire, or is its breast; null for none, or several.
const Fixture* onlyBreast(const Project& job) {
    const Fixture* found = nullptr;
    for (const Fixture& f : job.room->fixtures)
        if (f.isBreast()) {
            if (found != nullptr)
                return nullptr;
            found = &f;
        }
    return found;
}

/// "clock on the mantel", "a pair of candlesticks on the mantelpiece, one at each end": on a shelf
/// over the fire, which is put there first where there is none: as wide as the breast, on top of
/// one that ends under the ceiling and as deep as it, and else as such shelves are.
void onTheMantel(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"mantel", "mantle"}))
        return;
    static const Saying words("(.+?),? (on|along|across) (?:the |my |our )?(?:mantel|mantle)(?: ?"
                              "(?:piece|shelf))?(,? .*)?");
    static const auto shelf = meaning("mantel ?(?:piece|shelf)");
    std::smatch found;
    const Fixture* f = onlyBreast(job);
    if (f == nullptr || !words.is(line, found))
        return;
    const auto name = std::string(told("Mantel shelf"));
    const auto& all = job.scheme().pieces;
    const auto there = std::find_if(all.begin(), all.end(), [&](const Piece& p) {
        return p.kind->role == Role::shelf &&
               std::any_of(p.ties.begin(), p.ties.end(),
                           [&](const Tie& t) { return t.of == targetOf(*f); });
    });
    const auto& book = *job.library.book;
    const bool top = !f->toCeiling && f->height > Length{} && f->height < job.room->ceiling * 0.8;
    const auto size = [&](Length l) { return write(l, job.notation); };
    std::string first;
    if (there == all.end()) {
        const Length depth = top && f->depth > Length{} ? f->depth : book.habit("mantel-depth");
        const Length high = top ? f->height : book.habit("mantel-height");
        first = fmt::format("add floating shelf {} wide {} deep called {}, centred on {}, top at "
                            "{}; then ",
                            size(f->width), size(depth), name, f->name(), size(high));
    }
    const auto& on = there == all.end() ? name : there->name;
    // A clock that stands is another than one that hangs.
    static const auto clock = meaning("^((?:put |place |set |add |stand )?)(?:an? |the )?clock$");
    const auto thing = std::regex_replace(found[1].str(), clock, "$1mantel clock");
    const auto rest = found[3].str();
    static const auto atTheEnds = meaning(",? (?:one )?(?:on|at) (?:each|either|both) (?:end|side)"
                                          "s?(?: of it)?");
    static const auto pair = meaning("((?:put |place |set |add |stand )?)(?:a pair of|two|2) "
                                     "([a-z -]+?)s");
    if (std::smatch two; std::regex_match(rest, atTheEnds) && std::regex_match(thing, two, pair)) {
        out.push_back(fmt::format("{}{}a {} at each end of {}", first, two[1].str(), two[2].str(),
                                  on));
        return;
    }
    // What hangs leans there, and hangs over it where it can't.
    out.push_back(fmt::format("{}{} on {}{}", first, thing, on, rest));
    const KindPtr kind = nounIn(thing, job);
    if (kind && (kind->role == Role::art || kind->role == Role::mirror))
        out.push_back(fmt::format("{} above {}{}", thing, f->name(), rest));
}

} // namespace

std::vector<Meaning> meaningsOfOrdersFirst() {
    return {onTheMantel, inRows};
}

std::vector<Meaning> meaningsOfOrders() {
    return {sizesBeforeThePlace, eachWindowOfAWall, whatItIsFor};
}

std::vector<std::string> meantClear(std::string_view text, const Project& job) {
    const std::string line(trimmed(text));
    std::vector<std::string> out;
    for (const Meaning one : {&shelvesInAColumn, &turnedBeside, &packedOnAWall})
        one(line, job, out);
    return out;
}

} // namespace mezzet
