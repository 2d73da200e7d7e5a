// A step from where a piece is: to its own sides, or straight to something.
#include "edit/arrange.h"
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
    const Tie* held = tieToTable(p.subject, *p.scene.scheme);
    const Placed* own = p.scene.byId(p.subject.id);
    if (held == nullptr || own == nullptr)
        return false;
    const bool out = p.said.find("out") != std::string_view::npos;
    // "tuck it in", and no figure: as far as it goes.
    const bool under = !out && !d && !p.in.lengthAhead();
    if (held->kind == Tie::Kind::facing && !under) {
        p.out.step = own->pose.front() * (stepLength(p, d).mm() * (out ? -1 : 1));
        return true;
    }
    Tie tie = *held;
    if (under) {
        p.aLittle();
        tie.distance = -tuckedAt(p.subject, *p.scene.pieceById(held->of.piece), *held);
    } else {
        tie.distance = held->distance + stepLength(p, d) * (out ? 1 : -1);
    }
    if (tie.kind == Tie::Kind::facing) { // it only looks at its desk: now it has a place there
        tie.kind = Tie::Kind::atPlace;
        tie.place = tie.places = 1;
    }
    p.out.ties.push_back(tie);
    return true;
}

/// "left 6", "6 left": a step along the piece's own sides. "6 toward wall A": straight to it.
bool step(Placing& p, std::optional<Length> d) {
    const std::string_view words = p.said;
    // "bed 60 away from wall A": how far off it is to be, as “from” has it.
    if (words == "away from" && d && !p.in.isMoved())
        return false;
    const Placed* own = p.scene.byId(p.subject.id);
    if (own == nullptr)
        p.in.fail(p.start, p.in.at() - p.start + p.in.rest().size(),
                  "a new piece has no place to be moved from",
                  "say where it goes, like “against wall A”");
    const auto has = [&](std::string_view w) { return words.find(w) != std::string_view::npos; };
    // A step is one in the room's plan, of what stands on a top too.
    const Placed* seen = p.scene.inPlan(p.subject.id);
    const Pose& faced = seen != nullptr ? seen->pose : own->pose;
    Vec2 way = has("left")                          ? -faced.right()
               : has("right")                       ? faced.right()
               : words == "back" || has("backward") ? -faced.front()
                                                    : faced.front();
    const bool away = has("away") || has("further") || has("farther");
    if (away || has("toward") || has("closer") || has("nearer")) {
        const Target t = p.target();
        const auto to = wayInPlan(p.scene, p.subject.id, t);
        if (!to)
            p.fault("that is not on its board", "say it along the board, like: 2 left");
        way = *to * (away ? -1 : 1);
        // Closer to something goes no farther than to it.
        const Placed* other = t.is == Target::Is::piece ? p.scene.byId(t.piece) : nullptr;
        if (other != nullptr && !away && !d && !p.in.lengthAhead() && p.subject.on.isFloor() &&
            p.scene.pieceById(t.piece)->on.isFloor() && !p.subject.kind->flat() &&
            !p.scene.pieceById(t.piece)->kind->flat()) {
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
        {.begins = {"toward", "towards", "closer to", "nearer to", "nearer", "away from",
                    "further from", "farther from", "further away from", "farther away from"},
         .afterLength = true,
         .of = onPlan,
         .read = [](Placing& p) { return step(p, p.measured); },
         .help = "a step straight to or from something",
         .example = "6 toward wall A; 6 away from sofa"},
        {.begins = {"toward", "towards", "closer to", "nearer to", "nearer", "away from",
                    "further from", "farther from", "further away from", "farther away from"},
         .of = onPlan,
         .read = [](Placing& p) { return step(p, {}); },
         .help = "",
         .example = ""},
    };
    return all;
}

} // namespace mezzet
