// How else a thing may be placed by the same words, where as they are usually meant it would come
// to harm.
#include "edit/beside_wall.h"
#include "edit/place.h"
#include "edit/subjects.h"
#include "fits/fits.h"
#include "measure/text.h"
#include "scheme/on_wall.h"
#include "speech/meant.h"
#include "speech/meant_words.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

/// "three shelves on wall D right of the window": over each other, where there is no room for them
/// in a row; asked where they were refused so.
void shelvesInAColumn(const std::string& line, const Project& job, std::vector<std::string>& out) {
    if (!mentions(line, {"shelves"}) ||
        mentions(line, {" apart", "above each", "over each", " row", "one above", "one over"}))
        return;
    static const auto words =
        meaning("(?:(?:put|hang|add|place) )?(?:two|three|four|five|six|[2-6]) "
                "(?:[a-z]+ )?shelves .+");
    if (std::regex_match(line, words) && nounIn(line, job))
        out.push_back(line + ", one above the other");
}

/// "crib beside the bed", of one that would go through a wall so: along the bed, its end to the
/// wall that the bed's head is at, past the nightstand where one stands there; on the side with
/// more room first.
void turnedBeside(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:(?:put|place|add|stand|set) )?(?:an? |the )?(.+?)) (beside|next "
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
        return wallToward(*job.room, it.there->pose.at, it.there->pose.right() * sign).off;
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
        "side| next to each other)? (?:on|against|along|at) (?:the )?wall ([a-z])(?: side by "
        "side)?");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto many = found[1].str();
    WordsReader counted(many, job);
    const int count = readCount(counted);
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
        out.push_back(sideBySide(*kind, count, *wall, from + std::max(0.0, spare) / 2, job));
        return;
    }
}

/// "the bed should face the window", of one at a wall that would go through it so: at the wall
/// across from what it is to face.
void facedFromAcross(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "(?:(?:turn |move |put |have )?(.+?) (?:should |to |must |so it )?(?:faces?|facing|"
        "look(?:s|ing)? at)|(?:face|turn) (.+?) (?:to|toward|towards)) (?:the )?(.+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const auto it = standsNamed(found[1].matched ? found[1] : found[2], job);
    if (!it || !wallBehind(*it.scene, it.piece->id))
        return;
    for (const auto& [name, t] : targetsNamed(found[3], job, false))
        if (const auto wall = wallOf(t, *it.scene))
            if (const auto across = wallAcross(*job.room, *wall)) {
                out.push_back(
                    fmt::format("move {} against wall {}", it.piece->name, wallName(*across)));
                return;
            }
}

/// "a round table 110 with four chairs in the corner of B and C", where no chair has room so: out
/// of the corner by as much as chairs want.
void chairsInACorner(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add )?.*table.*?),? with ([a-z0-9]+) (?:dining )?chairs in "
        "(?:the )?corner (?:of )?(?:wall )?([a-z]) ?(?:and |with )?(?:wall )?([a-z])");
    static const Saying other("((?:put |place |add )?.*table.*?) in (?:the )?corner (?:of "
                              ")?(?:wall )?([a-z]) ?(?:and |with "
                              ")?(?:wall )?([a-z]),? with ([a-z0-9]+) (?:dining )?chairs");
    std::smatch found;
    const bool last = words.is(line, found);
    if (!last && !other.is(line, found))
        return;
    const auto off = write(usualBy(job, "chair-pull-out"), job.notation);
    static const auto verb = meaning("^(?:put|place|add) ");
    out.push_back(
        fmt::format("add {0} {1} from wall {2}, {1} from wall {3}; then {4} chairs around it",
                    std::regex_replace(found[1].str(), verb, ""), off, found[last ? 3 : 2].str(),
                    found[last ? 4 : 3].str(), found[last ? 2 : 4].str()));
}

/// "armchair across from the sofa", where there is less room than people usually sit apart: as far
/// off as there is, as long as knees and feet have room.
void acrossCloser(const std::string& line, const Project& job, std::vector<std::string>& out) {
    static const Saying words(
        "((?:put |place |add |set |move )?(?:an? |the |two )?.+?) (?:across from|"
        "opposite|facing) (?:the |my )?([a-z0-9 ]+)");
    std::smatch found;
    if (!words.is(line, found))
        return;
    const Piece* of = pieceNamed(found[2], job);
    const KindPtr kind = nounIn(found[1].str(), job);
    if (of == nullptr || !of->kind->isSeat() || !kind || !kind->isSeat())
        return;
    const Length usual = usualBy(job, "conversation");
    const bool metric = isMetric(job.notation.units);
    const Length step = metric ? Length::centimetres(15) : Length::inches(6);
    const Length least = metric ? Length::centimetres(120) : Length::inches(48);
    for (Length l = usual - step; l >= least; l = l - step)
        out.push_back(fmt::format("{} facing {}, {} from {}", found[1].str(), of->name,
                                  write(l, job.notation), of->name));
}

} // namespace

std::vector<std::string> meantClear(std::string_view text, const Project& job) {
    const std::string line(trimmed(text));
    std::vector<std::string> out;
    for (const Meaning one : {&shelvesInAColumn, &turnedBeside, &packedOnAWall, &facedFromAcross,
                              &chairsInACorner, &acrossCloser})
        one(line, job, out);
    return out;
}

} // namespace mezzet
