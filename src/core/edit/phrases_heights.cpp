// How high a thing hangs: by a figure, by eyes, along a stair.
#include "edit/phrases_heights.h"

#include "edit/place.h"
#include "edit/sizes_said.h"
#include "scheme/on_wall.h"

namespace mezzet {

using K = Tie::Kind;

namespace {

Target stairs(Placing& p) {
    p.in.article();
    p.in.take({"nosing", "nosings", "nosing line", "nosings of"});
    for (const Fixture& f : p.scene.room->fixtures)
        if (f.kind == FixtureKind::stairs &&
            (p.in.take({"stairs", "stair"}) || p.in.done() || p.in.rest().front() == ','))
            return targetOf(f);
    p.fault("only a stair's nosing line is hung over like this",
            "say it like: centre 60 over stairs");
}

} // namespace

bool overFloor(Placing& p, Level level, Length d) {
    Tie& tie = p.add(K::height);
    tie.level = level;
    tie.distance = d;
    return true;
}

bool eyeHeight(Placing& p) {
    // Of a screen mostly: the eye of who sits before it.
    if (p.said.find("seated") != std::string_view::npos ||
        p.in.take({"when seated", "when sitting down", "when sitting", "sitting down", "seated",
                   "sitting", "from the sofa", "from the couch"})) {
        const Rule* eyes = p.in.job().library.book->byId("leaned-art");
        return overFloor(p, Level::centre, eyes != nullptr ? eyes->setting("seated") : Length{});
    }
    Tie& tie = p.add(K::eyeLevel);
    tie.distance = eyeLevel(*p.in.job().library.book, p.in.job().judgement);
    if (p.in.take({"over", "above"})) {
        const Target of = stairs(p);
        p.out.ties.back().of = of;
    }
    return true;
}

bool overStairs(Placing& p, Level level, Length d) {
    const Target of = stairs(p);
    overFloor(p, level, d);
    p.out.ties.back().of = of;
    return true;
}

Level levelFor(std::string_view word) {
    if (word.starts_with("with its "))
        word.remove_prefix(9);
    return word.starts_with("top") || word.starts_with("head") ? Level::top
           : word.starts_with("bottom") || word.starts_with("foot") || word.starts_with("sill")
               ? Level::bottom
               : Level::centre;
}

bool heightAt(Placing& p) {
    const Level level = levelFor(p.said);
    const auto d = p.in.length("the height");
    p.in.take({"from the floor", "off the floor", "above the floor", "over the floor",
               "up from the floor"});
    return p.in.take({"over", "above"}) ? overStairs(p, level, d) : overFloor(p, level, d);
}

bool hungSoHigh(Placing& p) {
    const Kind& kind = *p.subject.kind;
    return isHungSoHigh(p.subject, p.measured) &&
           overFloor(p, kind.hangAt > Length{} ? kind.hangBy : Level::centre, p.measured);
}

} // namespace mezzet
