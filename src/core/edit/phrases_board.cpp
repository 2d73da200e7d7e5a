// Where a piece stands on a top or in an opening, and where one hangs under the ceiling.
#include "edit/phrase.h"
#include "edit/place.h"
#include "edit/surface_words.h"
#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

constexpr const char* counted = "they are counted from the top, row by row from the left";

bool put(Placing& p, SurfaceId on) {
    Piece there = p.subject;
    there.on = on;
    there.name = p.name();
    if (auto problem = noSuchSurface(there, *p.scene.room, *p.scene.scheme))
        p.fault(problem->what, problem->remedy);
    p.out.on = on;
    return true;
}

bool inOpening(Placing& p) {
    const std::size_t at = p.in.at();
    const double number = p.in.number("the opening");
    if (number < 1 || number > 10000 || number != std::floor(number))
        p.in.fail(at, p.in.at() - at, "there is no such opening", counted);
    p.in.take({"of", "in"});
    p.in.article();
    const int id = p.in.piece();
    if (id == 0)
        p.in.failAhead("of which piece?", "say it like: in opening 2 of bookcase");
    return put(p, mezzet::inOpening(id, static_cast<int>(number)));
}

bool onTopOf(Placing& p) {
    p.in.article();
    // "a lamp on it": on what was spoken of.
    const auto& them = p.in.them();
    const bool it = them.size() == 1 && them.front() != p.subject.id && p.in.take({"it", "that"});
    const int id = it ? them.front() : p.in.piece();
    if (id == 0)
        p.in.noneYet();
    if (id == 0)
        p.in.failAhead("on what?", "name a table, a chest or a shelf, like: on console");
    return put(p, onTop(id));
}

/// "on the left end of desk": on it, near that end. False for what has no top to stand on.
bool onAnEnd(Placing& p) {
    const Side side = p.said.find("left") != std::string_view::npos ? Side::left : Side::right;
    const std::size_t here = p.in.at();
    const Target t = p.target();
    const Piece* board = t.is == Is::piece ? p.scene.pieceById(t.piece) : nullptr;
    if (board == nullptr || !board->kind->hasTop()) {
        p.in.goTo(here);
        return false;
    }
    if (!put(p, onTop(t.piece)))
        return false;
    p.out.ties.push_back(nearEnd(side, p.in.job()));
    return true;
}

/// "in bookcase" says too little.
bool inWhich(Placing& p) {
    p.in.article();
    const int id = p.in.piece();
    if (id == 0)
        return false;
    const Piece& unit = *p.scene.scheme->byId(id);
    if (unit.openings() == 0)
        return false;
    p.fault(worded("which of the {} openings of {}?", unit.openings(), unit.name),
            worded("say it like: in opening 1 of {}; {}", unit.name, counted));
}

/// After "4 from": an end or an edge of the board.
bool fromEdge(Placing& p, Length d, MeasuredTo to) {
    if (!p.now().isCarried())
        return false;
    p.in.article();
    const std::pair<std::string_view, Side> edges[] = {
        {"left end", Side::left},    {"right end", Side::right}, {"front edge", Side::front},
        {"back edge", Side::behind}, {"front", Side::front},     {"back", Side::behind}};
    for (const auto& [word, side] : edges)
        if (p.in.take({word})) {
            Tie& t = p.add(K::fromEdge);
            t.side = side;
            t.distance = d;
            t.to = to;
            return true;
        }
    return false;
}

bool centreFromEdge(Placing& p) {
    if (!p.in.lengthAhead())
        return false;
    const Length d = p.in.length("the distance");
    return p.in.take({"from"}) && fromEdge(p, d, MeasuredTo::centre);
}

// ---- under the ceiling ----

bool closeToCeiling(Placing& p) {
    p.add(K::below).of.is = Is::ceiling;
    return true;
}

bool heightAt(Placing& p, Level level) {
    const Length d = p.in.length("how high it hangs");
    p.in.take({"up", "over the floor", "above the floor"});
    Tie& t = p.add(K::height);
    t.level = level;
    t.distance = d;
    return true;
}

bool overPiece(Placing& p, Length d) {
    // "84 above the floor", where a floor lamp stands as well.
    const std::size_t here = p.in.at();
    if (p.in.take({"the floor", "floor", "the ground"}) && (p.in.done() || p.in.ahead().empty()))
        return p.underside(d);
    p.in.goTo(here);
    const Target of = p.target();
    if (of.is != Is::piece)
        p.fault("only over a piece can that be said",
                "say it like: 33 above supper table, or: bottom at 84");
    Tie& t = p.add(K::above);
    t.of = of;
    t.distance = d;
    return true;
}

bool undersideOver(Placing& p) {
    const bool top = p.said == "top";
    if (!p.in.lengthAhead())
        return false;
    const Length d = p.in.length("the distance");
    if (!p.in.take({"above", "over"}))
        return false;
    if (top)
        p.fault("its underside is what hangs over a thing", "say it like: 33 above supper table");
    return overPiece(p, d);
}

bool belowCeiling(Placing& p) {
    const Length d = p.measured;
    p.in.article();
    if (!p.in.take({"ceiling"}))
        p.in.failAhead("below what?", "say it like: 12 below ceiling");
    Tie& t = p.add(K::below);
    t.of.is = Is::ceiling;
    t.distance = d;
    return true;
}

/// "drop 40": from the ceiling to its lowest point.
bool dropSaid(Placing& p) {
    const std::size_t at = p.in.at();
    const Length d = p.in.length("the drop");
    p.in.take({"from the ceiling", "from ceiling"});
    const Length own = p.subject.size.height;
    if (d < own)
        p.in.fail(at, p.in.at() - at,
                  worded("{} is {} high itself", p.name(), writeGap(own, p.in.job().notation)),
                  "say a drop of that or more");
    if (d >= p.scene.room->ceiling)
        p.in.fail(
            at, p.in.at() - at, "that is through the floor",
            worded("the ceiling is {} up", write(p.scene.room->ceiling, p.in.job().notation)));
    Tie& t = p.add(K::below);
    t.of.is = Is::ceiling;
    t.distance = d - own;
    return true;
}

/// "edge 36 from wall A", where its middle is what is usually measured to.
bool edgeFrom(Placing& p) {
    const Length d = p.in.length("the distance");
    if (!p.in.take({"from"}))
        p.in.failAhead("“from” is missing here", "say it like: edge 36 from wall A");
    const Target t = p.target(Targets{Is::wall}, "edge");
    Tie& tie = p.add(K::fromWall);
    tie.of = t;
    tie.distance = d;
    tie.to = MeasuredTo::edge;
    return true;
}

} // namespace

std::span<const Phrase> boardPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"on top of", "on"},
         .of = SaidOf::board,
         .read = &onTopOf,
         .help = "the surface: it goes along when that is moved, turned or sized; its middle, when "
                 "no place is said",
         .example = "on console; on top of bookcase"},
        {.begins = {"on the left end of", "on the right end of", "on the left side of",
                    "on the right side of", "on the left corner of", "on the right corner of",
                    "at the left end of", "at the right end of", "on left end of",
                    "on right end of"},
         .of = SaidOf::board,
         .read = &onAnEnd,
         .help = "on it, near that end",
         .example = "on the left end of console"},
        {.begins = {"in opening", "in the opening", "on shelf", "in shelf"},
         .of = SaidOf::board,
         .read = &inOpening,
         .follows = Follows::number,
         .help = "one of a unit's openings, counted from the top, row by row from the left",
         .example = "in opening 2 of bookcase; on shelf 2 of bookcase"},
        {.begins = {"in"},
         .of = SaidOf::board,
         .read = &inWhich,
         .follows = Follows::place,
         .help = "",
         .example = ""},
        {.begins = {"on the floor", "on floor"},
         .of = SaidOf::board,
         .read = [](Placing& p) { return put(p, theFloor()); },
         .help = "back on the floor, where it was",
         .example = "on the floor"},
        {.begins = {"from"},
         .afterLength = true,
         .of = SaidOf::board,
         .read = [](Placing& p) { return fromEdge(p, p.measured, MeasuredTo::edge); },
         .help = "its edge to the board's; “centre 4 from” for its centre",
         .example = "on console, 4 from left end; on console, 2 from front edge"},
        {.begins = {"centre", "center"},
         .of = SaidOf::board,
         .read = &centreFromEdge,
         .follows = Follows::length,
         .help = "",
         .example = ""},
    };
    return all;
}

std::span<const Phrase> ceilingPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"over", "above"},
         .of = SaidOf::ceiling,
         .read =
             [](Placing& p) {
                 p.centred();
                 return true;
             },
         .help = "its place over the floor: over the middle of that",
         .example = "over supper table"},
        {.begins = {"bottom at", "underside at", "top at"},
         .of = SaidOf::ceiling,
         .read =
             [](Placing& p) {
                 return heightAt(p, p.said == "top at" ? Level::top : Level::bottom);
             },
         .help = "how high it hangs, from the floor under it",
         .example = "bottom at 84"},
        {.begins = {"above", "over"},
         .afterLength = true,
         .of = SaidOf::ceiling,
         .read = [](Placing& p) { return overPiece(p, p.measured); },
         .help = "its underside over a piece's top",
         .example = "33 above supper table"},
        {.begins = {"bottom", "underside", "top"},
         .of = SaidOf::ceiling,
         .read = &undersideOver,
         .follows = Follows::length,
         .help = "",
         .example = ""},
        {.begins = {"below", "under"},
         .afterLength = true,
         .of = SaidOf::ceiling,
         .read = &belowCeiling,
         .help = "its top under the ceiling",
         .example = "12 below ceiling"},
        {.begins = {"drop", "drops", "with a drop of"},
         .of = SaidOf::ceiling,
         .read = &dropSaid,
         .follows = Follows::length,
         .help = "from the ceiling to its lowest point",
         .example = "drop 40"},
        {.begins = {"edge"},
         .of = SaidOf::ceiling,
         .read = &edgeFrom,
         .follows = Follows::length,
         .help = "its edge from a wall, in place of its middle",
         .example = "edge 36 from wall A"},
        {.begins = {"close to the ceiling", "close to ceiling", "flush with the ceiling", "flush"},
         .of = SaidOf::ceiling,
         .read = &closeToCeiling,
         .help = "its top at the ceiling",
         .example = "close to the ceiling"},
    };
    return all;
}

void settleSurface(Piece& p, Placement& said, const Scene& scene) {
    const bool isNew = p.id == 0;
    if (said.on && (isNew || *said.on != p.on)) {
        p.on = *said.on;
        if (p.on.isCarried()) {
            p.pose = {boardOf(*scene.scheme->byId(p.on.piece), p.on).centre(), {}};
            if (std::none_of(said.ties.begin(), said.ties.end(),
                             [](const Tie& t) { return t.fixesPlace(); })) {
                Tie middle;
                middle.kind = K::centredOn;
                middle.of = pieceTarget(p.on.piece);
                said.ties.push_back(middle);
            }
        } else if (!isNew && scene.fromAbove(p.id) != nullptr) {
            p.pose = scene.fromAbove(p.id)->pose; // it keeps its place in the room
        }
    }
    if (!isNew || !p.kind->underCeiling())
        return;
    p.on = theCeiling();
    if (p.kind->hangAt > Length{} && std::none_of(said.ties.begin(), said.ties.end(),
                                                  [](const Tie& t) { return t.fixesDrop(); })) {
        Tie high;
        high.kind = K::height;
        high.level = p.kind->hangBy;
        high.distance = p.kind->hangAt;
        said.ties.push_back(high);
    }
}

} // namespace mezzet
