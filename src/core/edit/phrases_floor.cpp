// Where a piece stands on the floor, or hangs over it: clauses that tie it across a plan.
#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/phrases_beside.h"
#include "edit/place.h"
#include "geometry/gap.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

constexpr Targets built{Is::wall, Is::chimney, Is::fixture};

bool against(Placing& p) {
    const auto wall = p.bareWall();
    const Target t = wall ? *wall : p.target(ties::things, "against");
    p.add(K::against).of = p.toWall(t);
    return true;
}

bool offWall(Placing& p) {
    const Length d = p.measured;
    const Target t = p.target();
    if (!built.has(t.is))
        p.fault("“off” measures from a wall a piece stands against", "say “from” instead");
    // What looks at something goes on looking at it, and a seat looks at a fire: only what has its
    // back to a wall is against it.
    const auto& own = p.subject.ties;
    const bool isAgainst = std::any_of(
        own.begin(), own.end(), [&](const Tie& o) { return o.kind == K::against && o.of == t; });
    const bool looks = p.facesSomething() && !isAgainst;
    const bool atFire = t.is != Is::wall && p.subject.kind->isSeat() && !isAgainst;
    Tie& tie = p.add(looks || atFire ? K::fromWall : K::against);
    tie.of = t;
    tie.distance = d;
    if (atFire && !p.facesSomething())
        p.add(K::facing).of = t;
    return true;
}

bool gap(Placing& p) {
    const auto d = p.in.length("the gap");
    bool any = false;
    for (auto& t : p.out.ties)
        if (t.kind == K::against) {
            t.distance = d;
            any = true;
        }
    if (!any)
        p.fault("a gap from what?", "say it after “against wall C”, or say “3 from wall C”");
    return true;
}

/// "the left corner", "the right end of wall A": a corner of the wall it stands against.
/// `stands`: the wall it is said of is the one it stands against.
std::optional<Target> cornerBySide(Placing& p, bool stands) {
    const std::size_t here = p.in.at();
    p.in.article();
    const bool left = p.in.take({"left corner", "left hand corner", "left end", "left"});
    if (!left && !p.in.take({"right corner", "right hand corner", "right end", "right"})) {
        p.in.goTo(here);
        return {};
    }
    std::optional<int> wall;
    if (p.in.take({"of", "on"})) {
        const Target t = p.in.target(false);
        if (t.is != Is::wall)
            p.fault("only a wall has a left and a right corner", "say it like: corner AB");
        wall = t.index;
        if (stands && std::none_of(p.out.ties.begin(), p.out.ties.end(),
                                   [](const Tie& o) { return o.kind == K::against; }))
            p.add(K::against).of = t;
    }
    for (const std::vector<Tie>* list : {&std::as_const(p.out.ties), &p.subject.ties})
        for (const Tie& t : *list)
            if (!wall && t.kind == K::against && t.of.is == Is::wall)
                wall = t.of.index;
    if (!wall)
        p.fault("the corner of which wall?", "say it like: 12 from the left corner of wall A");
    const int walls = static_cast<int>(p.scene.room->walls.size());
    Target corner;
    corner.is = Is::corner;
    corner.index = left ? *wall : (*wall + 1) % walls;
    corner.alongNext = left;
    return corner;
}

/// "in the corner": one that is free, the nearest to where it is; "in the left corner of wall A".
std::optional<Target> cornerUnnamed(Placing& p) {
    if (const auto side = cornerBySide(p, false))
        return side;
    const bool between = p.in.endOf("between") > 0;
    if (between ||
        (!p.in.done() && !p.in.ahead().empty() && !phraseAhead(p.in, false) && !p.in.lengthAhead()))
        return {};
    const auto free = freeCorner(p.scene, p.subject);
    if (!free)
        p.fault(worded("no corner is free for {}", p.name()), "name one, like: in corner AB");
    return free;
}

bool inCorner(Placing& p) {
    const bool byWord = p.said.find("left") != std::string_view::npos ||
                        p.said.find("right") != std::string_view::npos;
    if (byWord) {
        p.in.goTo(p.start);
        p.in.take({"in the", "in", "into the", "into", "to the"});
    }
    const auto unnamed = cornerUnnamed(p);
    const Target corner = unnamed ? *unnamed : p.in.corner();
    // Only what turns in has an angle to stand in.
    const auto& walls = p.scene.room->walls;
    const auto i = static_cast<std::size_t>(corner.index);
    if (i < walls.size() &&
        cross(walls[(i + walls.size() - 1) % walls.size()].along(), walls[i].along()) <= 0)
        p.fault("that is an outside corner: nothing stands in it",
                worded("say it like: against wall {}, 6 from left corner", walls[i].name));
    p.add(K::inCorner).of = corner;
    return true;
}

/// "30 from corner AB" runs along the wall the piece stands against, when that is one of the two.
void alongItsWall(const Placing& p, Tie& tie) {
    const int walls = static_cast<int>(p.scene.room->walls.size());
    for (const auto* list : {&p.subject.ties, &p.out.ties})
        for (const auto& t : *list) {
            if (t.kind != K::against || t.of.is != Is::wall)
                continue;
            if (t.of.index == tie.of.index)
                tie.of.alongNext = true;
            else if (t.of.index == (tie.of.index + walls - 1) % walls)
                tie.of.alongNext = false;
        }
}

/// In front, unless the piece is tied to another side of it already.
Side standingSide(const Placing& p, const Target& t) {
    for (const auto& old : p.subject.ties)
        if (old.kind == K::fromPiece && old.of == t)
            return old.side;
    return Side::front;
}

bool from(Placing& p, Length d, MeasuredTo to) {
    const auto side = cornerBySide(p, true);
    const Target t = side ? *side : p.target();
    if (t.is == Is::room)
        p.fault("a distance from the room has no direction", "measure from a wall");
    Tie tie;
    tie.kind = t.is == Is::piece ? K::fromPiece : t.is == Is::corner ? K::fromCorner : K::fromWall;
    tie.of = t;
    tie.distance = d;
    tie.to = to;
    if (tie.kind == K::fromCorner && !side)
        alongItsWall(p, tie);
    // "against wall A, 10 from door 1": along that wall, beside it.
    if (tie.kind == K::fromWall && t.is != Is::wall && to == MeasuredTo::edge &&
        !p.subject.kind->flat())
        if (const auto wall = wallOf(t, p.scene)) {
            const auto atWall = [&](const std::vector<Tie>& ties) {
                return std::any_of(ties.begin(), ties.end(), [&](const Tie& o) {
                    return o.kind == K::against && o.of == wallTarget(*wall);
                });
            };
            if (atWall(p.out.ties))
                return byWall(p, t, d);
            // One that stands at that wall goes along it, on the side it is on.
            const Placed* now = p.subject.id != 0 ? p.scene.inPlan(p.subject.id) : nullptr;
            const auto box = boxOn(t, *wall, p.scene);
            if (now != nullptr && box && p.out.ties.empty() && atWall(p.subject.ties)) {
                const Wall& w = p.scene.room->walls[static_cast<std::size_t>(*wall)];
                const bool left = dot(now->pose.at - w.start, w.along()) < box->centre().x;
                p.said = left ? "left of" : "right of";
                return byWall(p, t, d);
            }
        }
    if (tie.kind == K::fromPiece) {
        // "right of the bed, 5 from it" is one place.
        for (Tie& said : p.out.ties)
            if (said.kind == tie.kind && said.of == t && to == MeasuredTo::edge) {
                said.distance = d;
                return true;
            }
        tie.side = standingSide(p, t);
    }
    p.out.ties.push_back(tie);
    return true;
}

bool fromCentre(Placing& p) {
    const auto d = p.in.length("the distance");
    if (!p.in.take({"from"}))
        p.in.failAhead("“from” is missing here", "say it like: centre 30 from wall A");
    return from(p, d, MeasuredTo::centre);
}

bool turned(Placing& p) {
    Angle turn;
    p.in.article();
    if (p.in.take({"quarter"})) {
        const bool left = p.in.take({"left"});
        p.in.take({"right", "turn"});
        turn = Angle::degrees(left ? 270 : 90);
    } else if (p.in.take({"half"})) {
        turn = Angle::degrees(180);
    } else {
        turn = Angle::degrees(p.in.number("the turn")).normalised();
        p.in.take({"degrees", "degree", "deg", "°"});
    }
    p.add(K::turned).turn = turn;
    return true;
}

bool turnTie(Placing& p, K kind, const Targets& fine, const char* words) {
    const Target t = p.target(fine, words);
    // With its back to a wall it looks into the room.
    if (t.is == Is::room && p.facesSomething())
        return true;
    p.add(kind).of = t;
    return true;
}

/// "at the door": a mat lies there; "at wall A": its back to that; "at the table": beside it.
bool atThing(Placing& p) {
    const Target t = p.target(ties::things, "at");
    if (t.is == Is::piece) {
        p.said = p.subject.kind->isSeat() ? "in front of" : "beside";
        p.in.goTo(p.before());
        return beside(p, p.standing({}));
    }
    if (t.is == Is::wall) {
        p.add(K::against).of = t;
        return true;
    }
    if (!p.subject.kind->flat()) {
        // At a window one sits, reads and works: before it.
        const Kind& kind = *p.subject.kind;
        const Target wall = p.toWall(t);
        const auto box = wall.is == Is::wall ? boxOn(t, wall.index, p.scene) : std::optional<Box>();
        constexpr double wider = 1.5; // than the window: it stands along the wall there
        if (t.is == Is::window && box && p.subject.size.width.mm() <= box->size().x * wider &&
            (kind.isSeat() || kind.isSatInTo())) {
            p.add(K::against).of = wall;
            p.add(K::centredOn).of = t;
            return true;
        }
        p.said = "by";
        return byWall(p, t, {});
    }
    p.add(K::fromWall).of = t;
    p.add(K::centredOn).of = t;
    p.add(K::squareTo).of = p.toWall(t);
    return true;
}

/// "at 6' 2", 4' 0"" is a place; "at 14' 8" from wall E, 8' 2" from wall A" measures centres.
bool place(Placing& p) {
    if (!p.in.lengthAhead())
        return atThing(p);
    const std::size_t figure = p.in.at();
    const auto x = p.in.length("the place");
    if (p.in.take({"degrees", "degree", "deg", "°"})) {
        p.in.goTo(figure);
        return turned(p);
    }
    if (p.in.take({"from"})) {
        from(p, x, MeasuredTo::centre);
        const std::size_t here = p.in.at();
        if (p.in.comma()) {
            p.in.take({"and", "at"});
            if (p.in.lengthAhead()) {
                const auto y = p.in.length("the place");
                if (p.in.take({"from"}))
                    return from(p, y, MeasuredTo::centre);
            }
        }
        p.in.goTo(here);
        return true;
    }
    if (!p.in.comma() && !p.in.take({"by", "x", "and"}))
        return p.underside(x);
    const auto y = p.in.length("the place");
    Tie& tie = p.add(K::at);
    tie.distance = x;
    tie.second = y;
    return true;
}

bool placeAtTable(Placing& p) {
    constexpr const char* how = "say it like: place 2 of 6 at supper table";
    const std::size_t here = p.in.at();
    const double number = p.in.number("the place");
    if (!p.in.take({"of"}))
        p.in.failAhead("of how many places?", how);
    const double places = p.in.number("the places");
    if (number < 1 || places > 60 || number > places || number != std::floor(number) ||
        places != std::floor(places))
        p.in.fail(here, p.in.at() - here, "there is no such place", how);
    p.in.take({"at", "of"});
    const Target of = p.target(ties::pieces, "place");
    Tie& tie = p.add(K::atPlace);
    tie.of = of;
    tie.place = static_cast<int>(number);
    tie.places = static_cast<int>(places);
    const std::size_t after = p.in.at();
    p.in.comma();
    if (p.in.take({"tucked"}))
        tie.distance = -p.in.length("how far it is tucked in");
    else if (p.in.take({"drawn"}))
        tie.distance = p.in.length("how far it is drawn back");
    else
        p.in.goTo(after);
    return true;
}

} // namespace

std::span<const Phrase> floorPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"against", "flush with", "flush against", "backed up to", "back to",
                    "with its back to", "with the back to", "its back to", "with its head against",
                    "with the head against", "with its headboard against",
                    "with the headboard against", "head against", "tight against", "hard against",
                    "flat against", "tight to", "right up against"},
         .of = onPlan,
         .read = &against,
         .help = "its turn, and the coordinate across the wall",
         .example = "against wall C"},
        {.begins = {"off"},
         .afterLength = true,
         .of = onPlan,
         .read = &offWall,
         .help = "the same, with a gap behind it",
         .example = "3 off wall C"},
        {.begins = {"gap"},
         .of = onPlan,
         .read = &gap,
         .follows = Follows::length,
         .help = "the gap behind what is against something",
         .example = "against wall C, gap 3"},
        {.begins = {"in the corner", "in corner", "in a corner", "into the corner", "into corner",
                    "in the left corner", "in the right corner", "in the left hand corner",
                    "in the right hand corner", "in left corner", "in right corner"},
         .of = onPlan,
         .read = &inCorner,
         .help = "along the wall named first, touching both; where none is named, one that is free",
         .example = "in corner BC; in the corner; in the left corner of wall A"},
        {.begins = {"corner", "the corner"},
         .of = onPlan,
         .read = &inCorner,
         .follows = Follows::corner,
         .help = "",
         .example = ""},
        {.begins = {"from", "away from"},
         .afterLength = true,
         .of = onPlan,
         .read = [](Placing& p) { return from(p, p.measured, p.usualEnd()); },
         .help =
             "its edge (of lights the middle) to the wall's face; from a corner, along the wall it "
             "stands against, or the one named first; from a piece, edge to edge",
         .example = "24 from wall B; 30 from corner AB; 16 from sofa"},
        {.begins = {"centre", "center"},
         .of = onPlan,
         .read = &fromCentre,
         .follows = Follows::length,
         .help = "its centre in place of its edge",
         .example = "centre 24 from wall B"},
        {.begins = {"in front of", "before", "behind", "to the left of", "to the right of",
                    "left of", "right of", "on the left of", "on the right of", "beside",
                    "next to"},
         .afterLength = true,
         .of = onPlan,
         .read = [](Placing& p) { return beside(p, p.measured); },
         .help = "edge to edge; sides are as you face the other piece",
         .example = "16 in front of sofa; 6 behind sofa; 3 left of sofa; 3 right of sofa"},
        {.begins = {"in front of",
                    "before",
                    "out in front of",
                    "behind",
                    "to the left of",
                    "to the right of",
                    "left of",
                    "right of",
                    "on the left of",
                    "on the right of",
                    "on the left side of",
                    "on the right side of",
                    "at the left of",
                    "at the right of",
                    "at the left side of",
                    "at the right side of",
                    "at the left end of",
                    "at the right end of",
                    "on the left end of",
                    "on the right end of",
                    "beside",
                    "alongside",
                    "next to",
                    "by",
                    "near",
                    "close to"},
         .of = onPlan,
         .read = [](Placing& p) { return beside(p, p.standing({}), true); },
         .help = "the same at the gap it has, or touching; a low table before a seat as far off as "
                 "knees need",
         .example = "beside sofa; behind sofa"},
        {.begins = {"centred on", "centered on", "centred under", "centred in", "centered in",
                    "centred", "centered"},
         .of = {SaidOf::floor, SaidOf::ceiling, SaidOf::wall},
         .read =
             [](Placing& p) {
                 p.centred();
                 return true;
             },
         .help = "the coordinate along its face; on a rug or the room, both",
         .example = "centred on sofa; centred on window 1, 3 left; centred on room"},
        {.begins = {"centred between", "centered between", "halfway between", "half way between",
                    "midway between", "in between", "between"},
         .of = onPlan,
         .read = &between,
         .help = "midway between near edges",
         .example = "centred between sofa and window 1"},
        {.begins = {"facing",
                    "face",
                    "faces",
                    "looking at",
                    "looking to",
                    "looking toward",
                    "looking towards",
                    "looking out of",
                    "looks at",
                    "look at",
                    "so it faces",
                    "angled toward",
                    "angled towards",
                    "angled to",
                    "turned to",
                    "so that it faces",
                    "so it looks at",
                    "turned toward",
                    "turned towards",
                    "turned to face",
                    "to face",
                    "pointing at",
                    "with its front to"},
         .of = onPlan,
         .read = [](Placing& p) { return turnTie(p, K::facing, ties::anything, "facing"); },
         .help = "its turn, toward that",
         .example = "facing sofa; facing wall A"},
        {.begins = {"square to", "square with"},
         .of = onPlan,
         .read = [](Placing& p) { return turnTie(p, K::squareTo, ties::things, "square to"); },
         .help = "its turn, as if it stood against that",
         .example = "square to wall C"},
        {.begins = {"away", "off", "apart from it", "from it"},
         .afterLength = true,
         .of = onPlan,
         .read =
             [](Placing& p) {
                 // "in front of sofa, 16 away"
                 for (Tie& t : p.out.ties)
                     if (t.kind == K::fromPiece || t.kind == K::fromWall) {
                         t.distance = p.measured;
                         return p.in.done() || p.in.ahead().empty();
                     }
                 return false;
             },
         .help = "",
         .example = ""},
        {.begins = {"parallel to", "parallel with"},
         .of = onPlan,
         .read = [](Placing& p) { return turnTie(p, K::inLineWith, ties::things, "parallel to"); },
         .help = "",
         .example = ""},
        {.begins = {"at right angles to", "perpendicular to", "square across from"},
         .of = onPlan,
         .read =
             [](Placing& p) {
                 const Target t = p.target(ties::pieces, "at right angles to");
                 const Placed* other = p.scene.inPlan(t.piece);
                 p.add(K::turned).turn =
                     ((other != nullptr ? other->pose.turn : Angle{}) + Angle::degrees(90))
                         .normalised();
                 return true;
             },
         .help = "its turn, a quarter from another's",
         .example = "at right angles to sofa"},
        {.begins = {"in line with"},
         .of = onPlan,
         .read = [](Placing& p) { return turnTie(p, K::inLineWith, ties::things, "in line with"); },
         .help = "its turn, the same as another's",
         .example = "in line with sofa"},
        {.begins = {"turned"},
         .of = {SaidOf::floor, SaidOf::ceiling, SaidOf::wall},
         .read = &turned,
         .help = "its turn, clockwise; on the floor from standing against wall A",
         .example = "turned 30; turned a quarter"},
        {.begins = {"at", "inside"},
         .of = onPlan,
         .read = &place,
         .help = "its centre, from the corner of wall A, along it and into the room; or from what "
                 "is named",
         .example = "at 6' 2\", 4' 0\"; at 24 from wall B"},
        {.begins = {"at place", "place"},
         .of = SaidOf::floor,
         .read = &placeAtTable,
         .follows = Follows::number,
         .help = "one of the places at a table: its turn and both coordinates",
         .example = "place 2 of 6 at supper table; place 2 of 6 at supper table, tucked 8"},
    };
    return all;
}

} // namespace mezzet
