// "make it longer", "6 wider", "20 smaller all round", "round": sizes that are told by a change.
#include "edit/line_reader.h"
#include "edit/new_piece.h"
#include "edit/pieces.h"
#include "measure/texts.h"

namespace mezzet {

namespace {

/// The next size a rug is stocked in that is larger, or smaller, both ways; the one nearest in
/// area, lying as it does. None for what is stocked in no sizes, or in no such one.
std::optional<Vec2> nextStocked(const Project& job, const Piece& p, int way) {
    if (!p.kind->flat())
        return {};
    const double wide = p.size.width.mm();
    const double deep = p.size.depth.mm();
    std::optional<Vec2> best;
    for (const Vec2 s : stockedSizes(job, p)) {
        const bool asItLies = (s.x >= s.y) == (wide >= deep);
        const bool beyond = way > 0 ? s.x >= wide && s.y >= deep && s.x * s.y > wide * deep
                                    : s.x <= wide && s.y <= deep && s.x * s.y < wide * deep;
        if (asItLies && beyond && (!best || (s.x * s.y - best->x * best->y) * way < 0))
            best = s;
    }
    return best;
}

} // namespace

/// "longer", "6 wider", "a bit deeper": by so much, or by a step. False, and nothing read, when it
/// is none of them.
bool LineReader::biggerOrSmaller(Piece& p) {
    const std::size_t start = in.at();
    if (in.take({"a bit", "a little", "a little bit", "slightly"}))
        in.slightly();
    Length by = in.usualStep();
    const bool said = in.lengthAhead();
    if (said)
        by = in.length("by how much");
    const bool hangs = p.kind->hangs();
    Size s = p.size;
    const auto change = [&](Length& of, int way) { of = of + by * way; };
    if (in.take({"longer", "wider"})) {
        change(s.width, 1);
    } else if (in.take({"shorter"})) {
        // Of what is taller than wide one means its height.
        change(p.size.height > p.size.width ? s.height : s.width, -1);
    } else if (in.take({"narrower"})) {
        change(s.width, -1);
    } else if (in.take({"deeper"})) {
        change(s.depth, 1);
    } else if (in.take({"shallower"})) {
        change(s.depth, -1);
    } else if (in.take({"taller", "higher"})) {
        change(s.height, 1);
    } else if (in.take({"lower"})) {
        change(s.height, -1);
    } else if (const int way = in.take({"bigger", "larger"}) ? 1
                               : in.take({"smaller"})        ? -1
                                                             : 0;
               way != 0) {
        Length& second = hangs ? s.height : s.depth;
        const double ratio = second / s.width;
        if (in.take({"all round", "all around", "all the way round", "all the way around",
                     "on each side", "on every side", "on all sides", "on both sides",
                     "at each side", "each side", "each way"})) {
            for (Length* of : {&s.width, &second})
                change(*of, 2 * way);
        } else if (const auto next = said ? std::nullopt : nextStocked(job_, p, way); next) {
            s.width = Length::millimetres(next->x);
            second = Length::millimetres(next->y);
        } else {
            // In its own proportion, in whole figures.
            change(s.width, way);
            const Length whole =
                isMetric(job_.notation.units) ? Length::centimetres(1) : Length::inches(0.5);
            second = whole * std::round(s.width * ratio / whole);
        }
    } else {
        in.goTo(start);
        return false;
    }
    if (in.take({"by"}))
        in.failAhead("say by how much before the word", "say it like: make sofa 6 longer");
    for (const Length l : {s.width, s.depth, s.height})
        if (l <= Length{} || l > Length::metres(20))
            in.fail(start, in.at() - start, "no piece has that size",
                    worded("sizes lie between nothing and {}",
                           write(Length::metres(20), job_.notation)));
    giveSize(p, s);
    return true;
}

/// "round": of the same width, as the kit's round kind of it.
bool LineReader::asRound(Piece& p) {
    const std::size_t start = in.at();
    if (!in.take({"round"}))
        return false;
    const auto kind = in.job().library.kit->byWord("round " + p.kind->name);
    auto round = kind ? asAnother(job_, p, kind)
                      : Result<Piece>(Problem{worded("the kit has no round {}", p.kind->name),
                                              "give its width and depth"});
    if (!round)
        in.fail(start, in.at() - start, round.problem().what, round.problem().remedy);
    p = *round;
    return true;
}

/// "left-handed", "flipped", of a sofa with a return: which end that is at, as one faces it.
bool LineReader::asHanded(Piece& p) {
    const std::size_t start = in.at();
    const bool left = in.take({"left-handed", "left handed", "left hand", "left-hand"});
    const bool right =
        !left && in.take({"right-handed", "right handed", "right hand", "right-hand"});
    if (!left && !right && !in.take({"flipped", "other-handed", "the other hand"}))
        return false;
    if (p.footprint.form != FootprintForm::ell)
        in.fail(start, in.at() - start, worded("{} has no return to stand at an end", p.name),
                "say it of a corner sofa");
    p.footprint.armOnRight = left ? false : right || !p.footprint.armOnRight;
    return true;
}

} // namespace mezzet
