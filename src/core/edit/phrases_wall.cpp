// Where a piece hangs on a wall.
#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/phrase.h"
#include "edit/phrases_heights.h"
#include "edit/phrases_leaned.h"
#include "edit/place.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <algorithm>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

constexpr SaidOf wallHung = SaidOf::wall;
// "left corner" and "right corner" wait until the wall is known.
constexpr int leftCorner = 100000;
constexpr int rightCorner = 100001;
/// What has sides on a wall.
constexpr Targets sided{Is::piece, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture};

bool whichWall(Placing& p) {
    p.in.goTo(p.start);
    p.in.take({"on the", "on", "against"});
    p.saidWall = p.target(false).index;
    return true;
}

Target corner(bool left) {
    Target t;
    t.is = Is::corner;
    t.index = left ? leftCorner : rightCorner;
    return t;
}

Target sideOr(Placing& p) {
    p.in.article();
    const bool left = p.in.take({"left corner", "left hand corner", "left end"});
    if (left || p.in.take({"right corner", "right hand corner", "right end"})) {
        const std::size_t here = p.in.at();
        if (p.in.take({"of", "on"}) && p.in.endOf("wall") > 0)
            p.saidWall = p.target(false).index;
        else
            p.in.goTo(here);
        return corner(left);
    }
    return p.target();
}

bool wallBetween(Placing& p) {
    const Target of = sideOr(p);
    p.in.take({"and"});
    const Target also = sideOr(p);
    Tie& tie = p.add(K::centredBetween);
    tie.of = of;
    tie.also = also;
    return true;
}

/// The side of something the piece is at; the right of it for a new one.
Side nearerSide(const Placing& p, const Target& t) {
    const Placed* own = p.scene.byId(p.subject.id);
    if (own == nullptr || !p.wall)
        return Side::right;
    const auto b = boxOn(t, *p.wall, p.scene);
    return b && own->pose.at.x < b->centre().x ? Side::left : Side::right;
}

bool wallFrom(Placing& p, Length d, MeasuredTo to) {
    p.in.article();
    if (p.in.take({"floor", "the floor"}))
        return overFloor(p, to == MeasuredTo::centre ? Level::centre : Level::bottom, d);
    Tie tie;
    tie.of = sideOr(p);
    tie.distance = d;
    if (tie.of.is == Is::ceiling) {
        tie.kind = K::below;
    } else if (sided.has(tie.of.is)) {
        tie.kind = K::fromPiece;
        tie.side = nearerSide(p, tie.of);
    } else if (tie.of.is == Is::corner || tie.of.is == Is::wall) {
        tie.kind = K::fromCorner;
        tie.to = to;
    } else {
        p.fault("a distance from that has no direction",
                "measure from a corner, an opening or a piece");
    }
    p.out.ties.push_back(tie);
    return true;
}

/// "top with window 1", "bottom with top of shelf, 2 higher", "level with mirror"; "centre 30 from
/// left corner", "bottom 48 over stairs".
bool levelOrMeasured(Placing& p) {
    const Level own = levelFor(p.said);
    if (p.in.lengthAhead()) {
        const auto d = p.in.length("the height");
        if (p.in.take({"over", "above"}))
            return overStairs(p, own, d);
        if (own != Level::centre)
            p.in.failAhead("over what?", "say it like: bottom 48 over stairs");
        if (!p.in.take({"from"}))
            p.in.failAhead("“from” is missing here", "say it like: centre 30 from left corner");
        return wallFrom(p, d, MeasuredTo::centre);
    }
    p.in.take({"level", "in line"});
    if (!p.in.take({"with", "on"}))
        p.in.failAhead("“with” is missing here", "say it like: top with window 1");
    Level other = own;
    p.in.article();
    for (const std::string_view word :
         {"top of", "bottom of", "foot of", "centre of", "center of", "head of", "sill of"})
        if (p.in.take({word}))
            other = levelFor(word);
    const Target of = p.target();
    Tie& tie = p.add(K::levelWith);
    tie.level = own;
    tie.levelOf = other;
    tie.of = of;
    p.shift(p.out.ties.size() - 1, {"lower", "down"}, {"higher", "up"});
    return true;
}

/// As the job's school hangs over furniture, in the middle of its band; under a low ceiling midway
/// in what is free.
Length usualAbove(const Placing& p, const Target& of) {
    const Project& job = p.in.job();
    const Length usual = usualBy(job, "art-above");
    const auto wall = p.wall ? p.wall : wallOf(of, p.scene);
    const auto box = wall ? boxOn(of, *wall, p.scene) : std::nullopt;
    if (!box)
        return usual;
    const Length free =
        job.room->ceiling - Length::millimetres(box->high.y) - p.subject.size.height;
    // A wall light over furniture hangs as high as it would without; by a bed in reach of it.
    const Piece* under = of.is == Is::piece ? p.scene.pieceById(of.piece) : nullptr;
    if (under != nullptr && under->on.isFloor() && under->kind->role != Role::sideTable &&
        p.subject.kind->role == Role::sconce) {
        const Length foot = usualBy(job, "sconce-height") - p.subject.size.height / 2;
        const Length above = foot - Length::millimetres(box->high.y);
        if (above > usual && above < free)
            return above;
    }
    return std::max(Length{}, std::min(usual, free / 2));
}

bool overOrUnder(Placing& p, std::optional<Length> d) {
    const bool over = p.said != "below" && p.said != "under";
    const std::size_t at = p.in.at();
    const Target of = p.target();
    // What goes up to the ceiling, like a chimney breast, has no wall over it: it hangs on that.
    const auto itsWall = p.saidWall ? p.saidWall : wallOf(of, p.scene);
    if (const auto box = over && itsWall ? boxOn(of, *itsWall, p.scene) : std::nullopt;
        box && box->high.y > p.scene.room->ceiling.mm() - 100) {
        const auto what = words(of, p.in.job().wording());
        const auto eyes = writeGap(usualBy(p.in.job(), "art-centre"), p.in.job().notation);
        if (d && (of.is == Is::fixture || of.is == Is::chimney))
            p.in.fail(
                at, p.in.at() - at,
                worded("{} is taped up to the ceiling, and its shelf nowhere", what),
                worded("note its height, or say it like: centred on {}, bottom at {}", what, eyes));
        p.add(K::centredOn).of = of;
        if (const Fixture* fire = fixtureOf(*p.scene.room, of);
            fire != nullptr && fire->isBreast() && fire->fireHeight > Length{})
            p.overFire(fire->fireHeight);
        return true;
    }
    // "curtains 6 above the window": so far over it they begin.
    if (over && p.subject.kind->role == Role::curtain)
        for (const Opening& o : p.scene.room->openings)
            if (o.kind == OpeningKind::window && of == targetOf(o)) {
                p.add(K::centredOn).of = of;
                if (d) {
                    Tie& top = p.add(K::height);
                    top.level = Level::top;
                    top.distance = o.sill + o.height + *d;
                }
                return true;
            }
    Tie& tie = p.add(over ? K::above : K::below);
    tie.of = of;
    tie.distance = d.value_or(over ? usualAbove(p, of) : Length{});
    if (of.is == Is::fixture && of.built == FixtureKind::stairs) {
        tie.kind = K::height;
        tie.level = over ? Level::bottom : Level::top;
    }
    if (!d)
        p.usualHeight();
    return true;
}

/// How high the middle of a new thing hangs where nothing says it: as its kind does, else at eye
/// level.
Length usualMiddle(const Piece& p, const Project& job) {
    const Kind& kind = *p.kind;
    const Length half = p.size.height / 2;
    if (kind.hangAt <= Length{})
        return eyeLevel(*job.library.book, job.judgement);
    return kind.hangBy == Level::bottom ? kind.hangAt + half
           : kind.hangBy == Level::top  ? kind.hangAt - half
                                        : kind.hangAt;
}

/// The side of something on a wall where there is room for a new one.
Side freeSideOnWall(const Placing& p, const Target& of, Length d) {
    const auto wall = p.wall ? p.wall : wallOf(of, p.scene);
    const auto b = wall ? boxOn(of, *wall, p.scene) : std::nullopt;
    if (p.scene.byId(p.subject.id) != nullptr || !b)
        return nearerSide(p, of);
    Piece there = p.subject;
    there.on = onWall(*wall);
    for (const Side side : {Side::right, Side::left}) {
        const double off = d.mm() + p.subject.size.width.mm() / 2;
        const double x = side == Side::right ? b->high.x + off : b->low.x - off;
        const double y = usualMiddle(p.subject, p.in.job()).mm();
        if (clearOnWall(p.scene, there, {x, y}))
            return side;
    }
    return nearerSide(p, of);
}

bool wallBeside(Placing& p, Length d) {
    const std::string_view words = p.said;
    const Target of = p.target();
    Tie& tie = p.add(K::fromPiece);
    tie.of = of;
    tie.distance = d;
    const auto has = [&](std::string_view part) {
        return words.find(part) != std::string_view::npos;
    };
    tie.side = has("left") ? Side::left : has("right") ? Side::right : freeSideOnWall(p, of, d);
    return true;
}

/// "at 6' 2", 4' 10"": along the wall and up; "at 58" is a height.
bool wallPlace(Placing& p) {
    if (!p.in.lengthAhead())
        return false;
    const auto x = p.in.length("the place");
    if (p.in.take({"from"}))
        return wallFrom(p, x, MeasuredTo::centre);
    if (!p.in.comma() && !p.in.take({"by", "x", "and"})) {
        p.in.take({"to centre", "to center", "to the centre", "to the center", "on centre",
                   "on center", "from the floor", "off the floor", "above the floor",
                   "over the floor", "up from the floor", "high", "up"});
        return overFloor(p, Level::centre, x);
    }
    const auto y = p.in.length("the height");
    Tie& tie = p.add(K::at);
    tie.distance = x;
    tie.second = y;
    return true;
}

bool wallStep(Placing& p, std::optional<Length> d) {
    const std::string_view w = p.said;
    if (p.scene.byId(p.subject.id) == nullptr)
        p.in.fail(p.start, p.in.at() - p.start + p.in.rest().size(),
                  "a new piece has no place to be moved from",
                  "say where it goes, like “centred on sofa”");
    const auto has = [&](std::string_view part) { return w.find(part) != std::string_view::npos; };
    const Vec2 way = has("left")                  ? Vec2{-1, 0}
                     : has("right")               ? Vec2{1, 0}
                     : w == "up" || w == "higher" ? Vec2{0, 1}
                                                  : Vec2{0, -1};
    if (!d) {
        p.in.take({"by", "about"});
        if (p.in.lengthAhead()) {
            d = p.in.length("the step");
        } else {
            // A hand's breadth is much on a wall: the least step that makes sense.
            p.in.slightly();
            p.aLittle();
            d = p.in.usualStep();
        }
    }
    p.out.step = p.out.step.value_or(Vec2{}) + way * d->mm();
    return true;
}

/// "on the window wall" is that wall; a curtain is on, at or for a window.
bool onSomething(Placing& p) {
    const std::size_t here = p.in.at();
    Target t;
    try {
        t = p.in.target();
    } catch (const LineFault&) {
        if (p.in.text().substr(here).find("wall") < 20) // "on the long wall"
            throw;
        return false;
    }
    if (t.is == Is::wall && (p.said == "on" || p.said == "to")) {
        p.saidWall = t.index;
        return true;
    }
    if (p.subject.kind->role == Role::curtain &&
        (t.is == Is::window || t.is == Is::door || t.is == Is::opening)) {
        p.add(K::centredOn).of = t;
        return true;
    }
    p.in.goTo(here);
    return false;
}

/// "in the middle of wall A"
bool wallMiddle(Placing& p) {
    const Target t = p.target();
    if (t.is == Is::wall)
        p.saidWall = t.index;
    p.add(K::centredOn).of = t;
    return true;
}

/// A picture of the job, by its key.
bool showing(Placing& p) {
    const std::size_t word = p.in.at();
    const auto key = p.in.name();
    const auto& all = p.in.job().pictures;
    if (!all || all->count(key) == 0)
        p.in.fail(word, key.size(), worded("the job has no picture “{}”", key),
                  "put the file into the job first");
    p.out.picture = key;
    return true;
}

/// A piece on the floor that a wall has before it.
bool standsBefore(const Target& t, int wall, const Scene& scene) {
    if (t.is != Is::piece)
        return false;
    const FloorView floor(scene);
    const auto all = standingBefore(floor, wall);
    return std::any_of(all.begin(), all.end(),
                       [&](const Standing& s) { return floor.placed[s.index].id == t.piece; });
}

} // namespace

/// The wall that is said; else the one it is on; else that of what it is tied to.
void Placing::settleWall() {
    // "over the fireplace, centre at 60": the height that is said holds, over it across.
    if (usualHeight_)
        for (std::size_t i = 0; i < out.ties.size(); ++i)
            if (i != *usualHeight_ && out.ties[i].fixesHeight()) {
                Tie& over = out.ties[*usualHeight_];
                const Target of = over.of;
                over = Tie{};
                over.kind = K::centredOn;
                over.of = of;
                break;
            }
    if (fireTop_ && std::none_of(out.ties.begin(), out.ties.end(),
                                 [](const Tie& t) { return t.fixesHeight(); })) {
        // One that is clear of the opening by half as much stays where it would be without.
        const Length clear = in.job().library.book->habit("over-fire");
        const Length high = subject.size.height;
        if (usualMiddle(subject, in.job()) - high / 2 < *fireTop_ + clear / 2 &&
            *fireTop_ + clear + high <= scene.room->ceiling) {
            Tie& up = add(K::height);
            up.level = Level::bottom;
            up.distance = *fireTop_ + clear;
        }
    }
    if (saidWall)
        wall = saidWall;
    // A thing of another wall takes it there.
    if (!saidWall && wall)
        for (const Tie& t : out.ties)
            if (t.kind == K::above || t.kind == K::below || t.kind == K::centredOn ||
                t.kind == K::fromPiece || t.kind == K::centredBetween)
                if (const auto other = wallOf(t.of, scene);
                    other && t.of.is != Is::wall && !standsBefore(t.of, *wall, scene))
                    wall = other;
    for (const Tie& t : out.ties)
        if (!wall)
            wall = wallOf(t.of, scene);
    if (!wall && lookedAt_.isWall())
        wall = lookedAt_.wall();
    out.wall = wall;
    if (!wall)
        return;
    const int count = static_cast<int>(scene.room->walls.size());
    const auto known = [&](Target& t) {
        if (t.is == Is::corner && t.index == leftCorner)
            t.index = *wall;
        else if (t.is == Is::corner && t.index == rightCorner)
            t.index = count > 0 ? (*wall + 1) % count : 0;
    };
    for (Tie& t : out.ties) {
        known(t.of);
        known(t.also);
        // "20 from wall B" on wall C is from the corner the two share.
        const bool next = t.of.index == (*wall + 1) % count;
        const bool before = t.of.index == (*wall + count - 1) % count;
        if (t.kind == K::fromCorner && t.of.is == Is::wall && (next || before)) {
            t.of.is = Is::corner;
            t.of.index = next ? t.of.index : *wall;
        }
    }
}

std::span<const Phrase> wallPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"wall"},
         .of = wallHung,
         .read = &whichWall,
         .follows = Follows::wall,
         .help = "",
         .example = ""},
        {.begins = {"on wall", "on the wall", "against wall"},
         .of = wallHung,
         .read = &whichWall,
         .help = "the wall it hangs on; else that of what it is tied to, or the one looked at",
         .example = "on wall C"},
        {.begins = {"centred at",
                    "centered at",
                    "centre at",
                    "center at",
                    "with its centre at",
                    "with its center at",
                    "centre is at",
                    "centres at",
                    "centers at",
                    "bottom at",
                    "bottoms at",
                    "foot at",
                    "with its bottom at",
                    "with its foot at",
                    "top at",
                    "tops at",
                    "with its top at",
                    "head at",
                    "middle at",
                    "its middle at",
                    "with its middle at"},
         .of = wallHung,
         .read = &heightAt,
         .help = "how high, from the floor",
         .example = "centre at 58; bottom at 40; top at 80"},
        {.begins = {"at eye level", "at eye height", "in the eye band", "eye level",
                    "at seated eye level", "at seated eye height"},
         .of = wallHung,
         .read = &eyeHeight,
         .help = "its centre, by the school and who looks; it follows when either changes",
         .example = "at eye level"},
        {.begins = {"above", "over", "below", "under"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return overOrUnder(p, p.measured); },
         .help = "its foot over it, or its top under it; it follows the furniture",
         .example = "6 above sofa; 4 below picture rail"},
        {.begins = {"above", "over", "below", "under", "centred over", "centered over",
                    "centred above", "centered above"},
         .of = wallHung,
         .read = [](Placing& p) { return overOrUnder(p, {}); },
         .help = "the same at the school's own gap; under a thing, touching it",
         .example = "above sofa"},
        {.begins = {"top", "bottom", "foot", "centre", "center", "level"},
         .of = wallHung,
         .read = &levelOrMeasured,
         .follows = Follows::measure,
         .help = "level with a line of the building or another piece; over a stair, from the line "
                 "of its nosings, and on over the landing",
         .example = "top with window 1; bottom with sill of window 1; level with mirror, 2 higher; "
                    "centre 58 over stairs"},
        {.begins = {"in line with", "lined up with", "aligned with"},
         .of = wallHung,
         .read =
             [](Placing& p) {
                 p.centred();
                 return true;
             },
         .help = "",
         .example = ""},
        {.begins = {"centred between", "centered between", "between"},
         .of = wallHung,
         .read = &wallBetween,
         .help = "across: midway between near edges",
         .example = "between left corner and window 1"},
        {.begins = {"from"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return wallFrom(p, p.measured, MeasuredTo::edge); },
         .help = "across: from a corner, another wall, an opening or a piece; from the ceiling or "
                 "the floor, how high",
         .example = "20 from left corner; centre 20 from right corner; 20 from wall B; 3 from "
                    "ceiling"},
        {.begins = {"left of", "right of", "to the left of", "to the right of", "beside",
                    "next to"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return wallBeside(p, p.measured); },
         .help = "across: edge to edge beside something",
         .example = "2 right of mill"},
        {.begins = {"left of", "right of", "to the left of", "to the right of", "on the left of",
                    "on the right of", "beside", "next to", "by", "near"},
         .of = wallHung,
         .read =
             [](Placing& p) {
                 return wallBeside(p, p.standing(p.in.job().library.book->habit("beside-on-wall")));
             },
         .help = "",
         .example = ""},
        {.begins = {"at"},
         .of = wallHung,
         .read = &wallPlace,
         .help = "both: along the wall from its left corner, and up; one figure is its centre's "
                 "height",
         .example = "at 6' 2\", 4' 10\"; at 58"},
        {.begins = {"high", "up high"},
         .afterLength = true,
         .of = wallHung,
         .read = &hungSoHigh,
         .help = "how high what is low itself hangs",
         .example = ""},
        {.begins = {"leaned on", "leaning on", "leaned against", "standing on"},
         .of = wallHung,
         .read = &leaned,
         .help = "it stands there, and needs no hook",
         .example = "leaned on sideboard; leaned on floor"},
        {.begins = {"in front of", "before"},
         .of = wallHung,
         .read = &leansBefore,
         .help = "it leans before what leans there, a little aside",
         .example = ""},
        {.begins = {"left", "right", "to the left", "to the right", "up", "down", "higher",
                    "lower"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return wallStep(p, p.measured); },
         .help = "a step; the ties it has follow",
         .example = "6 left; 6 up"},
        {.begins = {"left", "right", "to the left", "to the right", "up", "down", "higher",
                    "lower"},
         .of = wallHung,
         .read = [](Placing& p) { return wallStep(p, {}); },
         .follows = Follows::pause,
         .help = "the same, by a little when no figure is said",
         .example = "up; left a little"},
        {.begins = {"to centre", "to center", "to the centre", "to the center", "on centre",
                    "on center", "to its centre", "to its center"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return overFloor(p, Level::centre, p.measured); },
         .help = "",
         .example = ""},
        {.begins = {"off the floor", "above the floor", "up from the floor", "over the floor"},
         .afterLength = true,
         .of = wallHung,
         .read = [](Placing& p) { return overFloor(p, Level::bottom, p.measured); },
         .help = "",
         .example = ""},
        {.begins = {"on", "to", "at", "in", "for"},
         .of = wallHung,
         .read = &onSomething,
         .follows = Follows::built,
         .help = "a wall that is told by what is in it; of curtains the window they are for",
         .example = "on the wall with the door"},
        {.begins = {"in the middle of", "in the centre of", "in the center of"},
         .of = wallHung,
         .read = &wallMiddle,
         .help = "across: in line with its middle",
         .example = "in the middle of wall C"},
        {.begins = {"showing"},
         .of = wallHung,
         .read = &showing,
         .help = "what is in its frame: a picture kept in the job",
         .example = ""},
    };
    return all;
}

} // namespace mezzet
