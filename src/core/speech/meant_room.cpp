// Chairs at their tables, and the floor kept free about a thing.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/words_reader.h"
#include "judge/ahead.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "scheme/words.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// The chairs at a table that words tell: "the chairs", "all the chairs", "the desk chair", "it".
std::vector<const Piece*> chairsTold(const std::string& words, const Project& job) {
    const auto hasPlace = [&](const Piece& p) {
        const Tie* at = tieToTable(p, job.scheme());
        return at != nullptr && at->kind == Tie::Kind::atPlace;
    };
    std::vector<const Piece*> out;
    static const auto all = meaning("(?:all (?:of )?)?(?:the |my )?(?:dining |supper )?(?:chairs|"
                                    "seats|stools)(?: at the table)?");
    if (std::regex_match(words, all)) {
        for (const Piece& p : job.scheme().pieces)
            if (hasPlace(p))
                out.push_back(&p);
        return out;
    }
    static const auto kind = meaning("(?:the |my )?(.*\\bchair)");
    if (const Piece* one = pieceNamed(words, job); one != nullptr) {
        out.push_back(one);
    } else if (std::smatch found; std::regex_match(words, found, kind)) {
        for (const Piece& p : job.scheme().pieces)
            if (hasPlace(p) || p.kind == nounIn(words, job))
                out.push_back(&p);
        if (out.size() > 1)
            out.clear();
    }
    return out;
}

/// "tuck the chairs in", "push in all the chairs": as far as they go when nobody sits there.
void tucked(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto first =
        meaning("(?:tuck|push|slide|put) (?:in|under) (.+?)(?: (?:at|to|under) .+)?");
    static const auto last =
        meaning("(?:tuck|push|slide|put) (.+?) (?:all the way )?(?:in|under|in under|back in|away)"
                "(?: (?:at|to|under)?(?: ?the)? ?.+)?");
    std::smatch found;
    if (!std::regex_match(line, found, first) && !std::regex_match(line, found, last))
        return;
    std::string said;
    for (const Piece* p : chairsTold(found[1], job))
        if (tieToTable(*p, job.scheme()) != nullptr)
            said += fmt::format("{}push {} in", said.empty() ? "" : "; then ", p->name);
    if (!said.empty())
        out.push_back(std::move(said));
}

/// "tv in the left alcove": on the wall there, for a set has nothing to stand on.
void screenInAlcove(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"alcove"}))
        return;
    static const Saying words(
        "((?:put |place |hang |add )?(?:an? |the )?(?:[0-9]+ ?(?:inch|\"|″) )?)"
        "(?:tv|telly|television) (in the (?:left|right)(?:[- ]hand)? alcove.*)");
    std::smatch found;
    if (words.is(line, found) && pieceNamed("the tv", job) == nullptr)
        out.push_back(fmt::format("{}wall screen {}", found[1].str(), found[2].str()));
}

/// "base units along wall A, 300 long": one run of them, and no number.
void runOfUnits(const std::string& line, const Project&, std::vector<std::string>& out) {
    if (!mentions(line, {"units", "cupboards", "cabinets"}))
        return;
    static const Saying words(
        "((?:put |place |add |run |have |fit )?)(?:a run of |some |the )?(?:base|kitchen|floor) "
        "(?:units|cupboards|cabinets) ((?:along|on|against|under|down|from) .+)");
    std::smatch found;
    if (words.is(line, found))
        out.push_back(fmt::format("{}kitchen counter {}", found[1].str(), found[2].str()));
}

/// "leave 80 free in front of the wardrobe", "give the desk 60 cm of space behind it": what comes
/// first there is put so far off, or the thing itself where that is a wall. Where so much is free
/// already, how much there is.
void roomKept(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto figureFirst = meaning(
        "(?:leave|keep|have|give|allow|make) (?:at least |about |some )?([0-9].*?)(?: (?:free|"
        "clear|of (?:space|room|clearance|floor)|space|room|clearance))* (in front of|before|"
        "behind|(?:to |on |at )?(?:the )?left(?: side)? of|(?:to |on |at )?(?:the )?right(?: "
        "side)? of) "
        "(.+)");
    static const auto thingFirst = meaning(
        "(?:leave|give|allow|keep) (.+? [0-9].*?)(?: (?:free|clear|of "
        "(?:space|room|clearance|floor)|space|room|clearance))* (in front|behind|before|to the "
        "left|to the right|at the back)(?: of)?(?: it| them)?");
    static const auto about = meaning(" (?:at least|about)(?= [0-9])");
    std::smatch found;
    std::string thing;
    std::string figure;
    std::string side;
    if (std::regex_match(line, found, figureFirst)) {
        figure = found[1];
        side = foldCase(found[2].str());
        thing = found[3];
    } else if (std::regex_match(line, found, thingFirst)) {
        const auto parted = namedAndFigure(std::regex_replace(found[1].str(), about, ""), job);
        if (!parted || parted->pieces.size() > 1)
            return;
        thing = parted->pieces.front()->name;
        figure = parted->figure;
        side = foldCase(found[2].str());
    } else {
        return;
    }
    const Piece* of = pieceNamed(thing, job);
    const auto wanted = readLength(figure, job.notation.units);
    const auto scene = sceneOf(job);
    const Placed* where = of != nullptr && scene ? (*scene)->fromAbove(of->id) : nullptr;
    if (where == nullptr || !wanted || !of->on.isFloor())
        return;
    const Side at = side == "behind" || side == "at the back" ? Side::behind
                    : side.find("left") != std::string::npos  ? Side::left
                    : side.find("right") != std::string::npos ? Side::right
                                                              : Side::front;
    const auto stop = aheadOf(FloorView(**scene), *of, *where, at).stop;
    if (!stop || stop->ahead >= wanted->mm() - 0.01) {
        const char* word = at == Side::behind  ? "behind"
                           : at == Side::left  ? "left of"
                           : at == Side::right ? "right of"
                                               : "in front of";
        out.push_back(fmt::format("how much room is {} {}?", word, of->name));
        return;
    }
    const Piece* first =
        stop->what.is == Target::Is::piece ? job.scheme().byId(stop->what.piece) : nullptr;
    if (first != nullptr && !first->locked) {
        out.push_back(fmt::format("leave {} between {} and {}", write(*wanted, job.notation),
                                  of->name, first->name));
        return;
    }
    if (stop->what.is == Target::Is::wall) {
        const auto& wall = job.room->walls[static_cast<std::size_t>(stop->what.index)];
        out.push_back(fmt::format("move {} {} away from wall {}", of->name,
                                  write(*wanted - Length::millimetres(stop->ahead), job.notation),
                                  wall.name));
    }
}

/// "two armchairs at the ends of the table": at its heads, where one sits in to it.
void atTheHeads(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:put|place|add|set|have) )?(?:a |an |two |2 |the |a pair of )?(.+?) at "
        "(?:(?:the|both|either|each) (?:ends?|heads?)|the head and foot) of (?:the |my )?"
        "(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* table = pieceNamed(found[2], job);
    const KindPtr noun = nounIn(found[1].str(), job);
    if (!noun)
        return;
    if (table == nullptr) // "the table", of the one that is sat in to
        for (const Piece& p : job.scheme().pieces)
            if (p.kind->role == Role::diningTable && foldCase(found[2].str()).ends_with("table"))
                table = table == nullptr ? &p : table;
    if (table != nullptr)
        out.push_back(fmt::format("{} at each end of {}", found[1].str(), table->name));
}

/// "china cabinet on wall D away from the door": into the corner of that wall that is farther off.
void awayAlongWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?) (?:on|against|along) (?:the )?wall ([a-z]),? (?:away|well away|far) from "
        "(?:the |my )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto& walls = job.room->walls;
    const auto index = wallIndex(found[2].str());
    const auto scene = sceneOf(job);
    if (!index || *index >= static_cast<int>(walls.size()) || !scene)
        return;
    const Wall& wall = walls[static_cast<std::size_t>(*index)];
    const std::string thing = found[3];
    WordsReader in(thing, job);
    try {
        const Target t = in.target();
        if (!in.done())
            return;
        std::optional<double> along;
        if (const auto box = boxOn(t, *index, **scene)) {
            along = box->centre().x;
        } else if (t.is == Target::Is::piece) {
            const Placed* p = (*scene)->fromAbove(t.piece);
            if (p != nullptr)
                along = dot(p->pose.at - wall.start, wall.along());
        }
        if (!along)
            return;
        out.push_back(fmt::format("{} in the {} corner of wall {}", found[1].str(),
                                  *along > wall.length().mm() / 2 ? "left" : "right", wall.name));
    } catch (const LineFault&) {
        return;
    }
}

/// "hang the mirror so that it reflects the window": straight across from it.
void mirrorShowing(const std::string& line, const Project&, std::vector<std::string>& out) {
    static const auto words =
        meaning("(?:(?:put|hang|move|place) )?(.*?\\bmirror\\b.*?),? (?:so (?:that )?(?:it )?|to "
                "|where it )(?:reflects?|shows?|faces?|catch(?:es)?) (?:the light from |the view "
                "from |the view of )?(.+)");
    std::smatch found;
    if (std::regex_match(line, found, words))
        out.push_back(fmt::format("{} opposite {}", found[1].str(), found[2].str()));
}

/// "two lamps on the sideboard, 8 inches from each end"
void fromEachEnd(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto on =
        meaning("(?:(?:put|place|add|set|stand) )?(?:a pair of|two|2|a|an) (.+?) on (?:the |my )?"
                "(.+?),? ([0-9][^,]*?) from (?:each|either|the|both) ends?");
    static const auto of =
        meaning("(?:(?:put|place|add|set|stand) )?(?:a pair of|two|2|a|an) (.+?),? ([0-9][^,]*?) "
                "from (?:each|either|both) ends? of (?:the |my )?(.+)");
    std::smatch found;
    std::string what;
    std::string board;
    std::string figure;
    if (std::regex_match(line, found, on)) {
        what = found[1];
        board = found[2];
        figure = found[3];
    } else if (std::regex_match(line, found, of)) {
        what = found[1];
        figure = found[2];
        board = found[3];
    } else {
        return;
    }
    const Piece* top = pieceNamed(board, job);
    const KindPtr kind = nounIn(what, job);
    if (top == nullptr || !top->kind->hasTop() || !kind)
        return;
    static const auto plural = meaning("(.+?)s");
    if (std::smatch one; std::regex_match(what, one, plural) && nounIn(one[1].str(), job) == kind)
        what = one[1];
    out.push_back(fmt::format("add {0} on {1}, {2} from left end; then add {0} on {1}, {2} from "
                              "right end",
                              what, top->name, figure));
}

std::vector<const Opening*> openingsIn(int wall, OpeningKind kind, const Room& room) {
    std::vector<const Opening*> out;
    for (const Opening& o : room.openings)
        if (o.wall == wall && o.kind == kind)
            out.push_back(&o);
    std::sort(out.begin(), out.end(),
              [](const Opening* a, const Opening* b) { return a->left < b->left; });
    return out;
}

/// "the two windows on wall C", "on wall A, right of the window": by what is in the wall that is
/// named.
void openingsOfWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto several =
        meaning("\\b(?:the |both |all |all the |both the |each of the |the two |two |the three )+"
                "(window|door)s (?:on|in|of|along|at) (?:the )?wall ([a-z])\\b");
    static const auto elsewhere =
        meaning("\\bthe (?:(?:left|right|first|second|last|middle)(?:[- "
                "]hand)? )?(?:window|door)\\b(?! ?[0-9]| (?:on|in|of|along|at) "
                "(?:the )?wall)");
    static const auto theOwn = meaning("^[a-z]+ (?:the|my|it|them|both)\\b");
    static const auto wallSaid = meaning("\\bwall ([a-z])\\b");
    const Room& room = *job.room;
    const auto all = [&](const std::string& wall, const std::string& word) {
        return openingsIn(wallIndex(wall).value_or(-1),
                          foldCase(word) == "door" ? OpeningKind::door : OpeningKind::window, room);
    };
    const auto name = [&](const Opening& o) { return words(targetOf(o), job.wording()); };
    std::smatch found;
    if (std::regex_search(line, found, several)) {
        const auto there = all(found[2], found[1]);
        const auto before = found.prefix().str();
        // One thing goes in the middle of two; of "both" and "each" there is one for either.
        static const auto at = meaning("^(.*?)\\b(?:in front of|under|below|beneath|at|by|against|"
                                       "along|facing) $");
        static const auto ofEach = meaning("\\b(?:both|all|each)\\b");
        std::smatch side;
        const std::string windows = found[0];
        if (there.size() == 2 && foldCase(before).ends_with("between ")) {
            out.push_back(before + name(*there[0]) + " and " + name(*there[1]) +
                          found.suffix().str());
        } else if (there.size() == 2 && !std::regex_search(windows, ofEach) &&
                   std::regex_match(before, side, at)) {
            out.push_back(fmt::format("{}on wall {}, centred between {} and {}{}", side[1].str(),
                                      found[2].str(), name(*there[0]), name(*there[1]),
                                      found.suffix().str()));
        } else if (!there.empty() && !foldCase(before).starts_with("the ") &&
                   !std::regex_search(before, theOwn)) {
            // Each is one more: "put curtains on both windows of wall C".
            static const auto verb = meaning("^(?:(?:put|hang|place|add|set|stand) )?(?=[a-z])");
            const auto one =
                std::regex_replace(before, verb, "add ", std::regex_constants::format_first_only);
            std::string each;
            for (const Opening* o : there)
                each += (each.empty() ? "" : "; then ") + one + name(*o) + found.suffix().str();
            out.push_back(std::move(each));
        }
        return;
    }
    // "on wall B between the windows"
    static const auto betweenThem =
        meaning("\\bbetween (?:the |the two |two |both |both the )(window|door)s\\b");
    std::smatch wall;
    if (std::regex_search(line, wall, wallSaid) && std::regex_search(line, found, betweenThem)) {
        const auto there = all(wall[1], found[1]);
        if (there.size() == 2)
            out.push_back(fmt::format("{}between {} and {}{}", found.prefix().str(),
                                      name(*there[0]), name(*there[1]), found.suffix().str()));
        return;
    }
    if (std::regex_search(line, wall, wallSaid) && std::regex_search(line, found, elsewhere))
        out.push_back(fmt::format("{}{} on wall {}{}", found.prefix().str(), found[0].str(),
                                  wall[1].str(), found.suffix().str()));
}

/// "a second wing chair on the other side of the fire": of something in a wall, where one of its
/// kind stands on the one side.
void otherSideInWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:(?:put|place|add|set|hang|stand|move|shift|take|bring|slide) )?)(an? second |"
        "another |an? other |one more |an? |the |)(.+?) (?:on|at|to) the "
        "(?:other|far|opposite) side of (.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* like = pieceNamed(found[3], job);
    const KindPtr kind = like != nullptr ? like->kind : nounIn(found[3].str(), job);
    const auto scene = sceneOf(job);
    if (!kind || !scene)
        return;
    const std::string thing = found[4];
    WordsReader in(thing, job);
    try {
        const Target t = in.target();
        const auto wall =
            in.done() && t.is != Target::Is::piece ? wallIn(t, *job.room) : std::nullopt;
        const auto box = wall ? boxOn(t, *wall, **scene) : std::nullopt;
        if (!box)
            return;
        const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
        // The one that is nearest tells which side is taken.
        std::optional<double> off;
        for (const Piece& p : job.scheme().pieces) {
            const Placed* at = p.onWall() ? (*scene)->byId(p.id) : (*scene)->fromAbove(p.id);
            if (p.kind != kind || at == nullptr || (p.onWall() && p.wall() != *wall))
                continue;
            const double along = p.onWall() ? at->pose.at.x : dot(at->pose.at - w.start, w.along());
            const double by = along - box->centre().x;
            if (!off || std::abs(by) < std::abs(*off))
                off = by;
        }
        if (!off)
            return;
        const bool moved =
            foldCase(found[2].str()) == "the " || (found[2].length() == 0 && like != nullptr);
        out.push_back(fmt::format("{}{}{} {} of {}", found[1].str(), moved ? "" : "another ",
                                  found[3].str(), *off < 0 ? "right" : "left", thing));
    } catch (const LineFault&) {
        return;
    }
}

/// "remove everything except the sofa": all the others.
void allButOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto words =
        meaning("\\b(?:everything|all|all of it|all the (?:furniture|pieces)) (?:except|but|apart "
                "from|other than|save|bar)(?: for)? (?:the |my )?");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    WordsReader in(line, job);
    in.goTo(static_cast<std::size_t>(found.position() + found.length()));
    try {
        std::vector<int> kept;
        for (bool more = true; more;) {
            in.article();
            if (const int id = in.piece(); id != 0)
                kept.push_back(id);
            more = in.comma() || in.take({"and"});
            in.take({"and"});
        }
        std::vector<std::string> names;
        for (const Piece& p : job.scheme().pieces)
            if (p.group() == 0 && std::find(kept.begin(), kept.end(), p.id) == kept.end())
                names.push_back(p.name);
        if (!kept.empty() && !names.empty())
            out.push_back(found.prefix().str() + fmt::format("{}", fmt::join(names, ", ")) +
                          std::string(in.rest()));
    } catch (const LineFault&) {
        return;
    }
}

/// "a pouf between the club chairs", of which there are two.
void betweenTwoAlike(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const auto words = meaning(
        "\\bbetween (?:the |the two |both |my |both the )([a-z -]+?)(?=,|$| on | at | against )");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    std::string name = foldCase(found[1].str());
    if (!name.ends_with("s") || name.find(" and ") != std::string::npos)
        return;
    name.pop_back();
    std::vector<const Piece*> alike;
    const KindPtr kind = nounIn(name, job);
    for (const Piece& p : job.scheme().pieces)
        if (foldCase(p.name).starts_with(name) || (kind && p.kind == kind))
            alike.push_back(&p);
    if (alike.size() == 2)
        out.push_back(fmt::format("{}between {} and {}{}", found.prefix().str(), alike[0]->name,
                                  alike[1]->name, found.suffix().str()));
}

/// "hooks at child height": a metre up, where a child of four or five reaches (common practice).
void atChildHeight(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?),? (?:(?:at|on) (?:a )?(?:child|children|kid)(?:'s|s|s')? (?:height|level)|"
        "low enough for (?:a child|children|(?:the )?kids|the children)|(?:where )?(?:a "
        "child|children|(?:the )?kids) can reach)(.*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto up = isMetric(job.notation.units) ? Length::centimetres(100) : Length::inches(40);
    out.push_back(
        fmt::format("{}{}, centre at {}", found[1].str(), found[2].str(), write(up, job.notation)));
}

} // namespace

std::vector<Meaning> meaningsOfRoomFirst() {
    return {runOfUnits};
}

std::vector<Meaning> meaningsOfRoom() {
    return {screenInAlcove, tucked,          roomKept,    atTheHeads,
            awayAlongWall,  mirrorShowing,   fromEachEnd, atChildHeight,
            openingsOfWall, otherSideInWall, allButOne,   betweenTwoAlike};
}

} // namespace mezzet
