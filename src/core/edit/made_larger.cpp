// "make it longer", "size sofa 78 x 36", "6 wider", "20 smaller all round", "round": other sizes.
#include "edit/line_reader.h"
#include "edit/new_piece.h"
#include "edit/pieces.h"
#include "edit/sizes_said.h"
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
        // No size is beyond itself by the last digit of a figure.
        constexpr double same = 0.1; // mm
        const bool beyond = way > 0 ? s.x > wide - same && s.y > deep - same &&
                                          s.x * s.y > (wide + same) * (deep + same)
                                    : s.x < wide + same && s.y < deep + same &&
                                          s.x * s.y < (wide - same) * (deep - same);
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
    // A runner is wide across, whichever way it lies.
    Length& across = liesAlong(p) ? s.depth : s.width;
    if (in.take({"wider"})) {
        change(across, 1);
    } else if (in.take({"longer"})) {
        change(isLongFrontToBack(p) ? s.depth : s.width, 1);
    } else if (in.take({"shorter"})) {
        // Of what is taller than wide one means its height.
        change(isLongFrontToBack(p)           ? s.depth
               : p.size.height > p.size.width ? s.height
                                              : s.width,
               -1);
    } else if (in.take({"narrower"})) {
        change(across, -1);
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
    // "make the table 72 round"
    std::optional<Length> across;
    if (in.lengthAhead()) {
        across = in.length("how far across");
        if (p.kind->footprint.form == FootprintForm::oval || in.endOf("round") == 0) {
            in.goTo(start);
            return false;
        }
    }
    if (!in.take({"round"}))
        return false;
    const auto kind = in.job().library.kit->byWord("round " + p.kind->name);
    auto round = kind ? asAnother(job_, p, kind)
                      : Result<Piece>(Problem{worded("the kit has no round {}", p.kind->name),
                                              "give its width and depth"});
    if (!round)
        in.fail(start, in.at() - start, round.problem().what, round.problem().remedy);
    p = *round;
    if (across) {
        in.goTo(start);
        readSizes(in, p, false, notices);
    }
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

Edit LineReader::size() {
    const auto ids = subjects();
    if (ids.size() == 1 && otherKindAhead(ids.front())) {
        in.take({"for", "to", "into", "with", "by"});
        return asKind(ids.front());
    }
    in.take({"to be", "to", "it"});
    const std::size_t at = in.at();
    const auto one = [at](LineReader& r, int id) {
        r.in.goTo(at);
        Piece p = r.placedPiece(id);
        if (p.isGroup())
            r.in.fail(at, std::max<std::size_t>(r.in.rest().size(), 1),
                      worded("{} is as large as what is in it", p.name),
                      "say it of one of them, or how far apart they hang");
        const bool sized = r.biggerOrSmaller(p) || r.asRound(p) || r.asHanded(p) ||
                           readSizes(r.in, p, false, r.notices);
        if (!sized && r.in.done())
            r.in.failAhead("which size?", "say it like: size sofa 78 x 36");
        auto e = r.place(p, at);
        e.words = worded("size {}", p.name);
        return e;
    };
    if (ids.size() == 1)
        return one(*this, ids.front());
    return each(ids, one, worded("size {} pieces", ids.size()));
}

/// "widen sofa by 6", "shorten sofa to 78"
Edit LineReader::lengthen(double way) {
    Piece p = placedPiece(subject());
    Size s = p.size;
    const std::size_t at = in.at();
    if (in.take({"to"}))
        s.width = in.length("the width");
    else {
        in.take({"by"});
        s.width = s.width + (in.done() ? in.usualStep() : in.length("by how much")) * way;
    }
    in.nothingMore();
    if (s.width <= Length{} || s.width > Length::metres(20))
        in.fail(
            at, std::max<std::size_t>(in.at() - at, 1), "no piece has that size",
            worded("sizes lie between nothing and {}", write(Length::metres(20), job_.notation)));
    // What is round stays round.
    if (p.footprint.form == FootprintForm::oval && p.size.width == p.size.depth)
        s.depth = s.width;
    giveSize(p, s);
    Edit e;
    e.words = worded("size {}", p.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

} // namespace mezzet
