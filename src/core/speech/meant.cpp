#include "speech/meant.h"

#include "edit/beside_wall.h"
#include "edit/pieces.h"
#include "edit/words_reader.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <regex>

namespace mezzet {

namespace {

using Pattern = std::regex;

/// The words where a pattern is found, and the kind that is named before them.
struct After {
    std::smatch found;
    KindPtr noun;
};
std::optional<After> afterNoun(const std::string& line, const Pattern& words, const Project& job) {
    After out;
    if (!std::regex_search(line, out.found, words))
        return {};
    out.noun = nounIn(
        std::string_view(line).substr(0, static_cast<std::size_t>(out.found.position())), job);
    return out.noun ? std::optional(std::move(out)) : std::nullopt;
}

std::vector<const Piece*> piecesOf(const KindPtr& kind, const Project& job) {
    std::vector<const Piece*> out;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind == kind)
            out.push_back(&p);
    return out;
}

std::string replacedAt(const std::smatch& found, const std::string& by) {
    return found.prefix().str() + by + found.suffix().str();
}

/// "another bookcase next to the right one"
void theOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {" one"}))
        return;
    static const Pattern words =
        meaning("\\b(left|right|left-hand|right-hand|left hand|right hand|first|second|third|last|"
                "nearest|farthest|other) ones?\\b");
    const auto one = afterNoun(line, words, job);
    if (!one)
        return;
    // "a bookcase right of the other one", where there is one: it, and a new one by it.
    const auto which = foldCase(one->found[1].str());
    const auto there = piecesOf(one->noun, job);
    if (there.size() == 1 && (which == "other" || which == "first")) {
        static const Pattern begins = meaning("^(?:put |place |add |set )?(?:an? |another |the )?");
        static const Pattern article = meaning("\\bthe $");
        out.push_back("another " + std::regex_replace(one->found.prefix().str(), begins, "",
                                                      std::regex_constants::format_first_only));
        out.back() = std::regex_replace(out.back(), article, "") + there[0]->name +
                     one->found.suffix().str();
    }
    out.push_back(replacedAt(one->found, which + " " + foldCase(one->noun->name)));
}

/// "a bookcase between the two", of which there are two.
void betweenTheTwo(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"between"}))
        return;
    static const Pattern words =
        meaning("\\bbetween (?:the two of them|the two|both of them|both|the "
                "other two|the pair|them)\\b");
    // "between the chairs", of two.
    static const Pattern named = meaning("\\bbetween ((?:the|both|my|both the) (?:two )?[a-z ]+?s)"
                                         "(?=$|,| (?:on|at|in|with|against|under|facing)\\b)");
    if (std::smatch found; std::regex_search(line, found, named)) {
        static const Pattern two = meaning("^(?:the|both|my|both the) (?:two )?");
        const auto all = piecesNamed(std::regex_replace(found[1].str(), two, "the "), job);
        if (all.size() == 2)
            out.push_back(found.prefix().str() + "between " + all[0]->name + " and " +
                          all[1]->name + found.suffix().str());
    }
    const auto two = afterNoun(line, words, job);
    if (!two)
        return;
    const auto both = piecesOf(two->noun, job);
    if (both.size() != 2)
        return;
    std::string said =
        replacedAt(two->found, fmt::format("between {} and {}", both[0]->name, both[1]->name));
    // One more of them, then.
    static const Pattern begins = meaning("^(?:put |place |add |set )?(?:an? |another |the )?");
    said = std::regex_replace(said, begins, "add ", std::regex_constants::format_first_only);
    out.push_back(std::move(said));
}

/// "table lamps on the nightstands": one on each.
void oneOnEach(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"s on "}))
        return;
    static const Pattern words =
        meaning("((?:put |place |set |add |stand )?)(?:the |some |my )?"
                "([a-z][a-z -]*?)s on (?:the |all the |both |both the |my )"
                "([a-z][a-z -]*?s)");
    std::smatch found;
    if (!std::regex_match(line, found, words) || !job.library.kit->byWord(found[2].str()))
        return;
    if (piecesNamed("the " + found[3].str(), job).size() > 1)
        out.push_back(fmt::format("{}a {} on each {}", found[1].str(), found[2].str(),
                                  plainWord(found[3].str())));
}

/// "a round table 48 instead of the square one": of the one that serves the same.
void insteadOfOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words("(?:put |place |have |try |use |hang |add |get )?(?:an? |the "
                              ")?(.+?) (?:instead of|in place of|rather "
                              "than) (?:the|this|that|my|our) (?:[a-z-]+ )?one");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr noun = nounIn(found[1].str(), job);
    if (!noun)
        return;
    if (const Piece* old = onlyOneLike(*noun, job))
        out.push_back(fmt::format("replace {} by {}", old->name, found[1].str()));
}

/// True when a piece is where it is because of another: tied to it, on it, or before the wall it
/// hangs on.
bool standsBy(const Scene& scene, const Piece& p, const Piece& other, bool over) {
    const auto tied = [](const Piece& a, int id) {
        return (a.on.isCarried() && a.on.piece == id) ||
               std::any_of(a.ties.begin(), a.ties.end(),
                           [id](const Tie& t) { return t.refersTo(id); });
    };
    if (tied(p, other.id) || tied(other, p.id))
        return true;
    return over && p.onWall() && other.on.isFloor() && wallBehind(scene, other.id) == p.wall();
}

/// "the picture over the bed", "the lamp by the sofa": one that is told by what it is at.
void toldByPlace(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Pattern at =
        meaning("\\b(?:the|my|that) ([a-z -]+?) (over|above|on|under|beneath|by|"
                "beside|next to|in front of|behind|near|at) (?:the |my )?");
    std::smatch found;
    if (!std::regex_search(line, found, at))
        return;
    ScenePtr scene;
    for (auto it = std::sregex_iterator(line.begin(), line.end(), at); it != std::sregex_iterator();
         ++it) {
        const KindPtr noun = nounIn((*it)[1].str(), job);
        if (!noun)
            continue;
        const auto from = static_cast<std::size_t>(it->position() + it->length());
        WordsReader in(line, job);
        in.goTo(from);
        const Piece* other = nullptr;
        try {
            other = job.scheme().byId(in.piece());
        } catch (const LineFault&) {
            continue;
        }
        if (other == nullptr)
            continue;
        std::size_t end = in.at();
        while (end > from && line[end - 1] == ' ')
            --end;
        if (!scene) {
            auto resolved = sceneOf(job);
            if (!resolved)
                return;
            scene = *resolved;
        }
        const auto word = foldCase((*it)[2].str());
        const bool over = word == "over" || word == "above";
        const Piece* one = nullptr;
        int several = 0;
        for (const Piece& p : job.scheme().pieces)
            if (p.id != other->id && !p.isGroup() &&
                (p.kind == noun ||
                 (p.kind->role == noun->role && p.kind->family == noun->family)) &&
                standsBy(*scene, p, *other, over)) {
                one = &p;
                ++several;
            }
        if (several != 1)
            continue;
        // "a box on the dresser next to the mirror" says where it goes; the only dresser needs no
        // telling.
        static const Pattern placing = meaning(
            "(?:.*\\b)?(?:on|in|at|under|over|above|by|beside|behind|near|to|against|before) $");
        const bool only = std::count_if(job.scheme().pieces.begin(), job.scheme().pieces.end(),
                                        [&](const Piece& p) { return p.kind == one->kind; }) == 1;
        if (only && end >= line.size() &&
            std::regex_match(line.substr(0, static_cast<std::size_t>(it->position())), placing))
            continue;
        out.push_back(line.substr(0, static_cast<std::size_t>(it->position())) + one->name +
                      line.substr(end));
    }
}

/// "a lamp on the desk, left corner": near an end of a top.
void atAnEnd(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.+?) on (?:top of )?(?:the |my )?(.+?),? (?:in |at |on |to )?(?:the |its )?(?:(front|"
        "back|rear) )?(left|right)(?:[- ]hand)?(?: (?:corner|end|side|edge))?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* board = pieceNamed(found[2], job);
    if (board == nullptr || !board->kind->hasTop())
        return;
    const auto off = isMetric(job.notation.units) ? Length::centimetres(5) : Length::inches(2);
    const auto said = write(off, job.notation);
    std::string place = fmt::format("{} on {}, {} from {} end", found[1].str(), board->name, said,
                                    foldCase(found[4].str()));
    if (found[3].matched)
        place += fmt::format(", {} from {} edge", said,
                             foldCase(found[3].str()) == "front" ? "front" : "back");
    out.push_back(std::move(place));
}

/// "everything on wall B": what stands or hangs there.
void everythingAt(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"everything", "all"}))
        return;
    static const Pattern words =
        meaning("\\b(?:everything|all|all of it) (?:on top of|on|along|against|at|by) ");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    WordsReader in(line, job);
    in.goTo(static_cast<std::size_t>(found.position() + found.length()));
    std::vector<std::string> names;
    try {
        const Target t = in.target();
        const auto scene = sceneOf(job);
        if (!scene)
            return;
        for (const Piece& p : job.scheme().pieces)
            if (p.group() == 0 &&
                ((t.is == Target::Is::wall && isAtWall(p, t.index, **scene)) ||
                 (t.is == Target::Is::piece && p.on.isCarried() && p.on.piece == t.piece)))
                names.push_back(p.name);
    } catch (const LineFault&) {
        return;
    }
    if (!names.empty())
        out.push_back(found.prefix().str() + fmt::format("{}", fmt::join(names, ", ")) +
                      (in.done() ? "" : " ") + std::string(in.rest()));
}

/// "above the headboard": the bed it belongs to.
void partOfBed(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"board"}))
        return;
    static const Pattern words = meaning("\\b(?:head|foot) ?board\\b(?! against)");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const Piece* bed = nullptr;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == Role::bed) {
            if (bed != nullptr)
                return;
            bed = &p;
        }
    if (bed == nullptr)
        return;
    out.push_back(replacedAt(found, bed->name));
}

/// "line up the chair with the table", of two things that stand or hang: the way it moves least.
void linedUp(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"line", "align", "even"}))
        return;
    static const Pattern with = meaning("(?:line up|align|even up) (.+?) (?:with|to) (.+)");
    static const Pattern up = meaning("(?:line|even) (.+?) up (?:with|to) (.+)");
    std::smatch found;
    if (!std::regex_match(line, found, with) && !std::regex_match(line, found, up))
        return;
    const Piece* moved = pieceNamed(found[1], job);
    const Piece* by = pieceNamed(found[2], job);
    const auto scene = sceneOf(job);
    if (moved == nullptr || by == nullptr || moved == by || !scene)
        return;
    const Placed* one = (*scene)->byId(moved->id);
    const Placed* other = (*scene)->byId(by->id);
    if (one == nullptr || other == nullptr)
        return;
    const Vec2 apart = one->pose.at - other->pose.at;
    if (moved->onWall() && by->onWall() && moved->wall() == by->wall()) {
        out.push_back(std::abs(apart.y) <= std::abs(apart.x)
                          ? fmt::format("{} level with {}", moved->name, by->name)
                          : fmt::format("{} centred on {}", moved->name, by->name));
    } else if (moved->on.isFloor() && by->on.isFloor()) {
        const Vec2 front = other->pose.front();
        const double ahead = std::abs(dot(apart, front));
        const double aside = std::abs(cross(apart, front));
        out.push_back(fmt::format("align {} and {} by {}", by->name, moved->name,
                                  aside <= ahead ? "middles" : "axis"));
    }
}

/// "square up the armchair": to the wall it is least turned from.
void squaredUp(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"square", "straighten"}))
        return;
    static const Pattern first =
        meaning("(?:square up|straighten up|straighten out|straighten) (.+)");
    static const Pattern last =
        meaning("(?:square|straighten) (.+?) (?:up|out)(?: with the room)?");
    std::smatch found;
    if (!std::regex_match(line, found, last) && !std::regex_match(line, found, first))
        return;
    const Piece* piece = pieceNamed(found[1], job);
    const auto scene = sceneOf(job);
    const Placed* where = piece != nullptr && scene ? (*scene)->fromAbove(piece->id) : nullptr;
    if (where == nullptr)
        return;
    const auto& walls = job.room->walls;
    const auto best =
        std::max_element(walls.begin(), walls.end(), [&](const Wall& a, const Wall& b) {
            return dot(where->pose.front(), a.inward()) < dot(where->pose.front(), b.inward());
        });
    if (best != walls.end())
        out.push_back(fmt::format("{} square to wall {}", piece->name, best->name));
}

/// "between the radiator and the corner with wall C", "… and corner CD": along the wall it is in,
/// up to the other.
void cornerWith(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"corner"}))
        return;
    static const Pattern words = meaning(
        "\\bbetween (.+?) and (?:the )?corner (?:(?:with|at|by|of|to) (?:the )?wall ([a-z])|([a-z])"
        "([a-z]))\\b");
    std::smatch found;
    if (!std::regex_search(line, found, words))
        return;
    const auto scene = sceneOf(job);
    const auto t = targetNamed(found[1], job);
    const auto wall = t && scene ? wallOf(*t, **scene) : std::nullopt;
    if (!wall)
        return;
    const std::string& own = job.room->walls[static_cast<std::size_t>(*wall)].name;
    std::string other = found[2];
    for (const int k : {3, 4})
        if (found[k].matched && foldCase(found[k].str()) != foldCase(own))
            other = found[k];
    if (!other.empty() && foldCase(other) != foldCase(own))
        out.push_back(
            replacedAt(found, fmt::format("between {} and wall {}", found[1].str(), other)));
}

/// "a rug under the table that reaches 24 past it": as large as that takes.
void rugPast(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |lay )?(?:an? |the )?(?:.*?)(?:rug|carpet)) under (?:the |my )?(.+?) "
        "(?:that |which )?(?:reaches|reaching|extends|extending|goes|going|sticks out|is) "
        "([0-9].*?) (?:past|beyond|out from|outside|larger than|more than) (?:it|that|its "
        "edges?|the table|on (?:all|every) sides?)(?: on (?:all|every|each) sides?)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* over = pieceNamed(found[2], job);
    const auto past = readLength(found[3].str(), job.notation.units);
    if (over == nullptr || !past)
        return;
    const auto said = [&](Length l) { return write(l + *past * 2, job.notation); };
    out.push_back(fmt::format("{} {} x {} under {}", found[1].str(), said(over->size.width),
                              said(over->size.depth), over->name));
}

/// "replace the rectangular table with a 54 inch round one": of what it takes the place of.
void byARoundOne(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:replace|swap|exchange|change) .+? (?:with|by|for|to) an? .+?) one");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const KindPtr noun = nounIn(line, job);
    const Piece* old = nullptr;
    WordsReader in(line, job);
    in.word();
    try {
        in.article();
        old = job.scheme().byId(in.piece());
    } catch (const LineFault&) {
        old = nullptr;
    }
    const KindPtr of = old != nullptr ? old->kind : noun;
    if (!of)
        return;
    // "an oval one" of a coffee table is an oval coffee table, where the kit has it.
    const auto shape = found[1].str().substr(found[1].str().rfind(' ') + 1);
    const auto last = of->name.rfind(' ');
    const auto whole = foldCase(of->name);
    const auto end = last == std::string::npos ? whole : whole.substr(last + 1);
    const bool same = job.library.kit->byWord(foldCase(shape) + " " + whole) != nullptr;
    if (!same)
        if (const KindPtr other = job.library.kit->byWord(foldCase(shape) + " " + end);
            other && other->role != of->role)
            return;
    out.push_back(found[1].str() + " " + (same ? whole : end));
}

/// "wardrobe to the other end of the wall": into the corner it is farther from.
void otherEndOfWall(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:move|put|push|slide|shift|bring) )?(.+?) (?:to|at|on|into) the (?:other|far|"
        "opposite) end of (?:the|its|that) ?wall(?: [a-z])?|(?:(?:move|put|push|slide|shift|"
        "bring) )?(.+?) (?:to|at|on|into) the (?:other|far|opposite) end of wall ([a-z])");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* p = pieceNamed(found[1].matched ? found[1].str() : found[2].str(), job);
    const auto scene = sceneOf(job);
    if (p == nullptr || !scene || !p->on.isFloor())
        return;
    const auto wall = wallBehind(**scene, p->id);
    const Placed* where = (*scene)->fromAbove(p->id);
    const auto count = static_cast<int>(job.room->walls.size());
    if (!wall || where == nullptr ||
        (found[3].matched && foldCase(job.room->walls[static_cast<std::size_t>(*wall)].name) !=
                                 foldCase(found[3].str())))
        return;
    const Wall& w = job.room->walls[static_cast<std::size_t>(*wall)];
    const bool nearStart = dot(where->pose.at - w.start, w.along()) < w.length().mm() / 2;
    const int other = (*wall + (nearStart ? 1 : count - 1)) % count;
    out.push_back(fmt::format("{} in corner {}{}", p->name, w.name,
                              job.room->walls[static_cast<std::size_t>(other)].name));
}

/// "turn the table lengthwise": its long side along the room's; crosswise across it.
void alongTheRoom(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:turn|have|make|lay|put|set|place|run|rotate|swing) (.+?) "
        "(lengthwise|lengthways|longways|crosswise|crossways)(?: (?:in|of|along|across) (?:the "
        "|this )?room)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1], job);
    if (!it)
        return;
    const Vec2 room = job.room->bounds().size();
    const Vec2 across = it.there->pose.right();
    const bool wide = it.piece->size.width >= it.piece->size.depth;
    const Vec2 runs = wide ? across : it.there->pose.front();
    const bool alongX = std::abs(runs.x) > std::abs(runs.y);
    const bool along = (room.x >= room.y) == alongX;
    const bool wanted = !foldCase(found[2].str()).starts_with("cross");
    const bool so = along == wanted;
    out.push_back(so ? fmt::format("straighten {}", it.piece->name)
                     : fmt::format("turn {} a quarter", it.piece->name));
}

/// "bed lengthwise along wall C": its long side to the wall, its front along it.
void lengthwise(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(.*?),? ?(?:lengthwise|lengthways|longways|sideways|side on)( (?:along|against|on|to|by) "
        "(?:the )?wall ([a-z])\\b)(.*)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto& walls = job.room->walls;
    const auto wall = std::find_if(walls.begin(), walls.end(), [&](const Wall& w) {
        return foldCase(w.name) == foldCase(found[3].str());
    });
    const KindPtr noun = nounIn(found[1].str(), job);
    const Piece* there = pieceNamed(
        std::regex_replace(found[1].str(), meaning("^(?:put|place|push|move|turn|set) "), ""), job);
    const Size size = there != nullptr ? there->size : noun ? noun->size : Size{};
    if (wall == walls.end() || size.depth <= size.width) {
        if (wall != walls.end() && size.depth > Length{})
            out.push_back(found[1].str() + found[2].str() + found[4].str());
        return;
    }
    // Its head to the one of the two walls beside that one which it is nearer to; of a new one to
    // the one before it.
    const auto at = static_cast<std::size_t>(wall - walls.begin());
    const Wall& before = walls[(at + walls.size() - 1) % walls.size()];
    const Wall& after = walls[(at + 1) % walls.size()];
    const auto off = [&](const Wall& w) {
        return there != nullptr ? std::abs(dot(there->pose.at - w.start, w.inward())) : 0.0;
    };
    out.push_back(fmt::format("{}, 0 from wall {}, against wall {}{}", found[1].str(), wall->name,
                              off(after) < off(before) ? after.name : before.name, found[4].str()));
}

/// "another reading chair opposite it": one more of what has that name, as large.
void anotherNamed(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"another", "one more", "second"}))
        return;
    static const Pattern words =
        meaning("(?:(?:put|place|add|set|hang|stand) )?(?:another|one more|a second) ");
    std::smatch found;
    if (!std::regex_search(line, found, words, std::regex_constants::match_continuous))
        return;
    WordsReader in(line, job);
    in.goTo(static_cast<std::size_t>(found.length()));
    const Piece* named = nullptr;
    try {
        named = job.scheme().byId(in.piece());
    } catch (const LineFault&) {
        return;
    }
    if (named == nullptr || named->isGroup())
        return;
    const Piece& of = *named;
    in.comma();
    out.push_back(fmt::format("add {} {} called {}, {}", of.kind->name, sizesOf(of, of.size, job),
                              nameOfCopy(of, job.scheme()), in.rest()));
}

} // namespace

std::vector<std::string> meantFirst(std::string_view text, const Project& job) {
    const std::string line(trimmed(text));
    std::vector<std::string> out;
    for (const auto& all :
         {meaningsOfRecesses(), meaningsOfRugsFirst(), meaningsFirst(), meaningsOfHungFirst(),
          meaningsOfCurtainsFirst(), meaningsOfTheOtherFirst(), meaningsByPiecesFirst(),
          meaningsOfTablesFirst(), meaningsOfRoomFirst(), meaningsOfSizeFirst(),
          meaningsOfHomeFirst(), meaningsOfTurnsFirst(), meaningsOfBaysFirst(),
          meaningsOfOrdersFirst(), meaningsOfMantelFirst()})
        for (const Meaning& one : all)
            one(line, job, out);
    return out;
}

std::vector<std::string> asMeant(std::string_view text, const Project& job) {
    const std::string line(trimmed(text));
    std::vector<std::string> out;
    for (const Meaning& one :
         {theOne, betweenTheTwo, oneOnEach, insteadOfOne, toldByPlace, atAnEnd, everythingAt,
          partOfBed, linedUp, squaredUp, anotherNamed, cornerWith, otherEndOfWall, lengthwise,
          alongTheRoom, rugPast, byARoundOne})
        one(line, job, out);
    for (const auto& more :
         {meaningsOfSpacing(), meaningsOfTheOther(), meaningsOfSize(), meaningsOfPlace(),
          meaningsOfCorners(), meaningsOfRoom(), meaningsOfRugs(), meaningsOfTables(),
          meaningsOverhead(), meaningsOfCurtains(), meaningsOfSpan(), meaningsOfWalls(),
          meaningsOfHung(), meaningsOfRuns(), meaningsByPieces(), meaningsOfBays(),
          meaningsOfTurns(), meaningsOfOrders(), meaningsOfInstead()})
        for (const Meaning& one : more)
            one(line, job, out);
    std::erase(out, line);
    return out;
}

} // namespace mezzet
