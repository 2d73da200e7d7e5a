// A step from where a piece is: to its own sides, or straight to something.
#include "edit/phrase.h"
#include "edit/place.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

/// A step that is said by a figure, before or after it, or by none: then it goes a little way.
Length stepLength(Placing& p, std::optional<Length> d) {
    if (d)
        return *d;
    p.in.take({"by", "about"});
    if (p.in.lengthAhead())
        return p.in.length("the step");
    p.aLittle();
    return p.in.usualStep();
}

/// "pull the chairs out", "2 in": a chair at its table, from it or to it. False for what has no
/// place at one.
bool drawn(Placing& p, std::optional<Length> d) {
    const auto& ties = p.subject.ties;
    const auto at = std::find_if(ties.begin(), ties.end(),
                                 [](const Tie& t) { return t.kind == Tie::Kind::atPlace; });
    const bool out = p.said.find("out") != std::string_view::npos;
    // One that was put before a desk, or looks at one, has no place at it, and goes the same way.
    const auto before = std::find_if(ties.begin(), ties.end(), [&](const Tie& t) {
        const Piece* of = t.of.is == Target::Is::piece ? p.scene.pieceById(t.of.piece) : nullptr;
        return (t.kind == Tie::Kind::fromPiece || t.kind == Tie::Kind::facing) && of != nullptr &&
               of->kind->isSatInTo();
    });
    // "tuck it in", and no figure: as far as it goes.
    const auto changed = [&](Length now, int table) {
        const Piece* of = p.scene.pieceById(table);
        if (!out && !d && !p.in.lengthAhead() && of != nullptr) {
            p.aLittle();
            const Length seat = p.subject.heights.seat.value_or(p.subject.size.height);
            return of->kind->clearBelow > seat ? p.subject.size.depth * -0.5 : Length{};
        }
        return now + stepLength(p, d) * (out ? 1 : -1);
    };
    if (at == ties.end()) {
        const Placed* own = p.scene.byId(p.subject.id);
        if (before == ties.end() || !p.subject.kind->isSeat() || own == nullptr)
            return false;
        const auto held = std::find_if(ties.begin(), ties.end(),
                                       [](const Tie& t) { return t.kind == Tie::Kind::fromPiece; });
        if (held == ties.end()) {
            p.out.step = own->pose.front() * (stepLength(p, d).mm() * (out ? -1 : 1));
            return true;
        }
        Tie& tie = p.add(Tie::Kind::fromPiece);
        tie = *held;
        tie.distance = changed(held->distance, held->of.piece);
        return true;
    }
    Tie& tie = p.add(Tie::Kind::atPlace);
    tie = *at;
    tie.distance = changed(at->distance, at->of.piece);
    return true;
}

/// Whether a line begins with a verb that moves things, or with how far.
bool movesFirst(std::string_view line) {
    const auto folded = foldCase(trimmed(line));
    if (folded.empty() || (folded.front() >= '0' && folded.front() <= '9'))
        return true;
    const auto first = folded.substr(0, folded.find(' '));
    for (const std::string_view verb : {"move", "pull", "push", "slide", "shift", "nudge", "bring",
                                        "take", "drag", "step", "shove", "make", "it", "them"})
        if (first == verb)
            return true;
    return false;
}

/// "bed 60 away from wall A", without a verb that moves it: how far off it is to be.
bool standsOff(Placing& p, Length d) {
    const Target t = p.target();
    Tie tie;
    tie.kind = t.is == Target::Is::piece    ? Tie::Kind::fromPiece
               : t.is == Target::Is::corner ? Tie::Kind::fromCorner
                                            : Tie::Kind::fromWall;
    tie.of = t;
    tie.distance = d;
    for (const Tie& old : p.subject.ties)
        if (old.kind == tie.kind && old.of == t)
            tie.side = old.side;
    p.out.ties.push_back(tie);
    return true;
}

/// "left 6", "6 left": a step along the piece's own sides. "6 toward wall A": straight to it.
bool step(Placing& p, std::optional<Length> d) {
    const std::string_view words = p.said;
    const Placed* own = p.scene.byId(p.subject.id);
    if (own == nullptr)
        p.in.fail(p.start, p.in.at() - p.start + p.in.rest().size(),
                  "a new piece has no place to be moved from",
                  "say where it goes, like “against wall A”");
    const auto has = [&](std::string_view w) { return words.find(w) != std::string_view::npos; };
    if (words == "away from" && d && !movesFirst(p.in.text()))
        return standsOff(p, *d);
    Vec2 way = has("left")                          ? -own->pose.right()
               : has("right")                       ? own->pose.right()
               : words == "back" || has("backward") ? -own->pose.front()
                                                    : own->pose.front();
    if (has("toward") || has("closer") || has("nearer") || has("away")) {
        const Target t = p.target();
        const auto to = wayOnItsSurface(p.scene, p.subject.id, t);
        if (!to)
            p.fault("that is not on its board", "say it along the board, like: 2 left");
        way = *to * (has("away") ? -1 : 1);
        // Closer to something goes no farther than to it.
        const Placed* other = t.is == Target::Is::piece ? p.scene.byId(t.piece) : nullptr;
        if (other != nullptr && !has("away") && !d && !p.in.lengthAhead() &&
            p.subject.on.isFloor() && p.scene.pieceById(t.piece)->on.isFloor() &&
            !p.subject.kind->flat() && !p.scene.pieceById(t.piece)->kind->flat()) {
            const Length apart = gapBetween(own->shape, other->shape).apart;
            if (apart <= quiet)
                p.fault(worded("{} touches {} already", p.name(), p.scene.pieceById(t.piece)->name),
                        "say how far, like: 2 toward sofa");
            p.out.step = p.out.step.value_or(Vec2{}) + way * std::min(stepLength(p, d), apart).mm();
            return true;
        }
    }
    p.out.step = p.out.step.value_or(Vec2{}) + way * stepLength(p, d).mm();
    return true;
}

} // namespace

std::span<const Phrase> stepPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"out"},
         .afterLength = true,
         .of = SaidOf::floor,
         .read =
             [](Placing& p) {
                 return drawn(p, p.measured) || (p.said == "out" && step(p, p.measured));
             },
         .help = "of a chair at its table: from it",
         .example = ""},
        {.begins = {"out", "in", "back in"},
         .of = SaidOf::floor,
         .read = [](Placing& p) { return drawn(p, {}) || (p.said == "out" && step(p, {})); },
         .follows = Follows::pause,
         .help = "",
         .example = ""},
        {.begins = {"left", "right", "to the left", "to the right", "to its left", "to its right",
                    "forward", "forwards", "out from the wall", "back", "backward", "backwards"},
         .afterLength = true,
         .of = onPlan,
         .read = [](Placing& p) { return step(p, p.measured); },
         .help = "a step to its own side; the ties it has follow",
         .example = "6 left; 6 back"},
        {.begins = {"left", "right", "to the left", "to the right", "to its left", "to its right",
                    "forward", "forwards", "back", "backward", "backwards"},
         .of = onPlan,
         .read = [](Placing& p) { return step(p, {}); },
         .follows = Follows::pause,
         .help = "the same, by a little when no figure is said",
         .example = "left; back a little"},
        {.begins = {"a bit", "a little", "a little bit", "a touch", "bit", "little", "little bit",
                    "touch", "slightly"},
         .of = {SaidOf::floor, SaidOf::ceiling, SaidOf::wall},
         .read =
             [](Placing& p) {
                 p.in.slightly();
                 return true;
             },
         .follows = Follows::pause,
         .help = "",
         .example = ""},
        {.begins = {"toward", "towards", "closer to", "nearer to", "nearer", "away from"},
         .afterLength = true,
         .of = onPlan,
         .read = [](Placing& p) { return step(p, p.measured); },
         .help = "a step straight to or from something",
         .example = "6 toward wall A; 6 away from sofa"},
        {.begins = {"toward", "towards", "closer to", "nearer to", "nearer", "away from"},
         .of = onPlan,
         .read = [](Placing& p) { return step(p, {}); },
         .help = "",
         .example = ""},
    };
    return all;
}

} // namespace mezzet
