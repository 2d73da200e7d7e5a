// Clauses as people say them, made of the same ties as the others.
#include "edit/arrange.h"
#include "edit/beside_wall.h"
#include "edit/new_piece.h"
#include "edit/phrases_beside.h"
#include "edit/place.h"
#include "geometry/gap.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

/// "on wall A", "along the wall": what stands has its back to it.
bool alongWall(Placing& p) {
    p.in.goTo(p.start);
    p.in.take({"on the", "on", "along the", "along", "up against the", "up against"});
    // "on the window wall", where no top is meant.
    if (p.said == "on" || p.said == "on the") {
        const std::size_t here = p.in.at();
        Target t;
        try {
            t = p.in.target(false);
        } catch (const LineFault&) {
            return false;
        }
        if (t.is != Is::wall) {
            p.in.goTo(here);
            return false;
        }
        p.add(K::against).of = t;
        return true;
    }
    const auto wall = p.bareWall();
    const Target t = wall ? *wall : p.target(ties::things, "along");
    p.add(K::against).of = p.toWall(t);
    return true;
}

/// "in the middle of the room", "in the middle of wall A", "in the middle".
bool inMiddle(Placing& p) {
    Target t = roomTarget();
    if (!p.in.done() && p.in.rest().front() != ',' &&
        (p.said.ends_with(" of") || !phraseAhead(p.in, false)))
        t = p.target(ties::things | Targets{Is::room}, "in the middle of");
    if (t.is == Is::wall)
        p.add(K::against).of = t;
    // A vase stands on the table.
    if (t.is == Is::piece && p.subject.kind->standsOn() &&
        p.scene.pieceById(t.piece)->kind->hasTop())
        p.out.on = onTop(t.piece);
    p.add(K::centredOn).of = t;
    return true;
}

/// The free corner that is nearest to any opening of a kind; none where none is free.
std::optional<Target> cornerByAny(const Placing& p, OpeningKind kind) {
    std::optional<Target> best;
    double least = 0;
    for (const Opening& o : p.scene.room->openings) {
        const Vec2 at = middleOf(targetOf(o), p.scene);
        const auto corner = o.kind == kind ? freeCornerBy(p.scene, p.subject, at) : std::nullopt;
        if (!corner)
            continue;
        const double far =
            norm(p.scene.room->walls[static_cast<std::size_t>(corner->index)].start - at);
        if (best && far >= least)
            continue;
        best = corner;
        least = far;
    }
    return best;
}

/// "in the corner by the window": the corner that turns in nearest to it.
bool cornerBy(Placing& p) {
    // "by the window", of several: whichever has the nearest corner.
    const std::size_t here = p.in.at();
    Target by;
    try {
        by = p.target(ties::things, "in the corner by");
    } catch (const LineFault&) {
        p.in.goTo(here);
        p.in.article();
        const bool window = p.in.take({"window", "windows"});
        if (!window && !p.in.take({"door", "doors"}))
            throw;
        const auto corner = cornerByAny(p, window ? OpeningKind::window : OpeningKind::door);
        if (!corner)
            throw;
        p.add(K::inCorner).of = *corner;
        return true;
    }
    const auto& walls = p.scene.room->walls;
    const Vec2 near = middleOf(by, p.scene);
    // Beside what stands there is the free one.
    if (by.is == Is::piece)
        if (const auto free = freeCornerBy(p.scene, p.subject, near)) {
            p.add(K::inCorner).of = *free;
            return true;
        }
    std::optional<Target> best;
    double least = 0;
    for (std::size_t i = p.scene.room->closed ? 0 : 1; i < walls.size(); ++i) {
        if (cross(walls[(i + walls.size() - 1) % walls.size()].along(), walls[i].along()) <= 0)
            continue;
        const double far = norm(walls[i].start - near);
        if (best && far >= least)
            continue;
        Target t;
        t.is = Is::corner;
        t.index = static_cast<int>(i);
        // Along the wall the thing is in, where it is in one of the two.
        const Target wall = p.toWall(by);
        t.alongNext = wall.is == Is::wall && wall.index == t.index;
        best = t;
        least = far;
    }
    if (!best)
        p.fault("the room has no corner to stand in", "say it like: against wall A");
    // One that is free, where that is about as near.
    constexpr double aboutAsNear = 1.5;
    if (const auto free = freeCornerBy(p.scene, p.subject, near);
        free && free->index != best->index &&
        norm(walls[static_cast<std::size_t>(free->index)].start - near) <= least * aboutAsNear) {
        best = *free;
        const Target wall = p.toWall(by);
        best->alongNext = wall.is == Is::wall && wall.index == free->index;
    }
    // The other way round, where only so it stands free there.
    if (Target other = *best; !isFreeInCorner(p.scene, p.subject, *best)) {
        other.alongNext = !best->alongNext;
        if (isFreeInCorner(p.scene, p.subject, other))
            best = other;
    }
    p.add(K::inCorner).of = *best;
    return true;
}

/// "to the opposite wall": straight across from the one it stands against.
bool oppositeWall(Placing& p) {
    const std::size_t here = p.in.at();
    if (!p.in.take({"wall"}) || (!p.in.done() && !p.in.ahead().empty())) {
        p.in.goTo(here);
        return false;
    }
    const auto own = p.subject.id != 0 ? wallBehind(p.scene, p.subject.id) : std::nullopt;
    const auto wall = own ? wallAcross(*p.scene.room, *own) : std::nullopt;
    if (!wall)
        p.fault(own ? worded("no wall is straight across from {}",
                             words(wallTarget(*own), p.in.job().wording()))
                    : worded("{} stands at no wall, so none is opposite", p.name()),
                "name the wall, like: against wall A");
    p.add(K::against).of = wallTarget(*wall);
    return true;
}

/// "opposite the fire", "across from the door": its back to the wall across from that; a seat in a
/// deep room stands as far before it as one talks. False, and nothing said, where no wall is there.
bool acrossFrom(Placing& p, const Target& t) {
    const auto wall = t.is == Is::piece ? wallOf(t, p.scene) : wallIn(t, *p.scene.room);
    const auto across = wall ? wallAcross(*p.scene.room, *wall) : std::nullopt;
    const Kind& kind = *p.subject.kind;
    if (!across || !kind.takesFloor() || kind.flat())
        return false;
    const auto& walls = p.scene.room->walls;
    const Wall& own = walls[static_cast<std::size_t>(*wall)];
    const double deep =
        dot(walls[static_cast<std::size_t>(*across)].start - own.start, own.inward());
    constexpr double far = 3600; // mm: from there on one is not with it any more
    if (kind.isSeat() && t.is != Is::wall && deep - p.subject.size.depth.mm() > far) {
        p.add(K::facing).of = t;
        p.add(K::centredOn).of = t;
        Tie& off = p.add(K::fromWall);
        off.of = t.is == Is::piece ? wallTarget(*wall) : t;
        off.distance = usualBy(p.in.job(), "conversation");
        return true;
    }
    p.add(K::against).of = wallTarget(*across);
    if (t.is != Is::wall)
        p.add(K::centredOn).of = t;
    return true;
}

/// "opposite sofa": before it, looking at it, at a distance to talk over.
bool opposite(Placing& p) {
    if (oppositeWall(p))
        return true;
    const Target t = p.target(ties::things, "opposite");
    const auto wall = t.is == Is::piece ? wallFaced(p.scene, t.piece) : std::nullopt;
    // What stands against walls stands against the one that is looked at; a screen does where
    // nothing is built before that.
    const auto isBuiltUpon = [&](int at) {
        const auto& all = p.scene.room->fixtures;
        return std::any_of(all.begin(), all.end(),
                           [&](const Fixture& f) { return f.wall == at && f.takesFloor(); });
    };
    const Kind& kind = *p.subject.kind;
    const bool atWalls =
        kind.takesFloor() && (kind.family == Family::storage || kind.family == Family::screen);
    if (wall && (atWalls || (kind.role == Role::screen && !isBuiltUpon(wall->wall)))) {
        p.add(K::against).of = wallTarget(wall->wall);
        p.add(K::centredOn).of = t;
        return true;
    }
    const bool inWall = t.is != Is::piece || p.scene.pieceById(t.piece)->onWall();
    if (inWall && acrossFrom(p, t))
        return true;
    p.add(K::facing).of = t;
    p.add(K::centredOn).of = t;
    if (inWall)
        return true;
    Tie& off = p.add(K::fromPiece);
    off.of = t;
    off.distance = usualBy(p.in.job(), "conversation");
    // A small room bears less.
    if (wall && off.distance + p.subject.size.depth > wall->away)
        off.distance = std::max(wall->away - p.subject.size.depth, Length{});
    // Nor does it stand in the chimney, where there is room before that.
    const Piece& other = *p.scene.pieceById(t.piece);
    const Placed* there = p.scene.inPlan(t.piece);
    const Length wanted = off.distance;
    const auto inTheWay = [&](const Fixture& f) {
        const double y = (other.size.depth / 2 + off.distance + p.subject.size.depth / 2).mm();
        const Pose pose{there->pose.toRoom({0, y}), there->pose.turn};
        const auto gap = gapBetween(placed(p.subject.shape(), pose), solid(*p.scene.room, f));
        const Length kept =
            keptOff(targetOf(f), *p.subject.kind, *p.scene.room, *p.in.job().library.book);
        return gap.depth > quiet || gap.apart + quiet < kept;
    };
    constexpr double nearest = 0.6; // of the usual way: nearer, one sits knee to knee
    for (const Fixture& f : p.scene.room->fixtures)
        while (there != nullptr && f.takesFloor() && off.distance > wanted * nearest && inTheWay(f))
            off.distance = off.distance - Length::centimetres(1);
    if (off.distance <= wanted * nearest)
        off.distance = wanted; // there is no such room: it is asked about
    return true;
}

/// "on the other side of the bed", "on the other side": where the one of its kind is not.
bool otherSide(Placing& p) {
    const auto& all = p.scene.scheme->pieces;
    const auto beside = [&](const Piece& o) -> const Tie* {
        for (const Tie& t : o.ties)
            if (t.kind == K::fromPiece && (t.side == Side::left || t.side == Side::right))
                return &t;
        return nullptr;
    };
    p.in.take({"of", "from"});
    std::optional<Target> of;
    if (!p.in.done() && !p.in.ahead().empty() && !phraseAhead(p.in, false))
        of = p.target(ties::pieces, "on the other side of");
    const Tie* there = nullptr;
    for (const Piece& o : all)
        if (o.id != p.subject.id && o.kind == p.subject.kind)
            if (const Tie* t = beside(o); t != nullptr && (!of || t->of == *of))
                there = t;
    if (!of && there == nullptr)
        p.fault("on the other side of what?", "say it like: on the other side of sofa");
    if (!of)
        of = there->of;
    Side side = Side::left;
    if (there != nullptr)
        side = there->side == Side::left ? Side::right : Side::left;
    else if (const Placed* own = p.scene.inPlan(p.subject.id), *its = p.scene.inPlan(of->piece);
             own != nullptr && its != nullptr && p.subject.id != 0)
        side = its->pose.toLocal(own->pose.at).x < 0 ? Side::right : Side::left;
    Tie& tie = p.add(K::fromPiece);
    tie.of = *of;
    tie.side = side;
    tie.distance = there != nullptr ? there->distance : p.standing({});
    p.wantsAlongside(*of);
    return true;
}

/// "at the foot of the bed", "at the head of the bed": before its front, or behind it.
bool atEnd(Placing& p) {
    const bool foot = p.said.find("head") == std::string_view::npos;
    const std::size_t named = p.in.at();
    const Target t = p.target(ties::pieces, "at the foot of");
    // A bed's end is before it, any other's is beside it, where that is free.
    if (const Piece* of = p.scene.pieceById(t.piece);
        foot && of != nullptr && of->kind->role != Role::bed && of->size.width >= of->size.depth) {
        p.in.goTo(named);
        p.said = "beside";
        return beside(p, p.standing({}));
    }
    // A throw lies on the bed there.
    if (const Piece* bed = p.scene.pieceById(t.piece);
        p.subject.kind->isSoft() && bed != nullptr && bed->kind->takesSoft()) {
        p.out.on = onTop(t.piece);
        Tie& edge = p.add(K::fromEdge);
        edge.side = foot ? Side::front : Side::behind;
        return true;
    }
    Tie& off = p.add(K::fromPiece);
    off.of = t;
    off.side = foot ? Side::front : Side::behind;
    off.distance = p.standing({});
    p.add(K::centredOn).of = t;
    return true;
}

/// "in the corner, at an angle", "at an angle in the corner": it looks out of the corner, both its
/// back corners at the walls.
bool atAnAngle(Placing& p) {
    std::optional<Target> corner;
    for (std::size_t i = 0; i < p.out.ties.size(); ++i)
        if (p.out.ties[i].kind == K::inCorner) {
            corner = p.out.ties[i].of;
            p.out.ties.erase(p.out.ties.begin() + static_cast<std::ptrdiff_t>(i));
            break;
        }
    if (!corner) {
        if (!p.in.take({"in", "into", "across", "of"}) && p.said.find("across") == p.said.npos)
            p.fault("at what angle?", "say it like: turned 30, or: in corner AB, at an angle");
        p.in.article();
        if (p.in.take({"corner"}) &&
            p.in.take({"by", "near", "next to", "beside", "nearest", "closest to"}) &&
            cornerBy(p)) {
            corner = p.out.ties.back().of;
            p.out.ties.pop_back();
        }
        const bool named = !p.in.done() && !p.in.ahead().empty() && !phraseAhead(p.in, false);
        if (!corner)
            corner = named ? std::optional(p.in.corner()) : freeCorner(p.scene, p.subject);
        if (!corner)
            p.fault(worded("no corner is free for {}", p.name()), "name one, like: in corner AB");
    }
    const auto& walls = p.scene.room->walls;
    const auto next = static_cast<std::size_t>(corner->index);
    const auto before = (next + walls.size() - 1) % walls.size();
    if (next >= walls.size() || cross(walls[before].along(), walls[next].along()) <= 0)
        p.fault("that is an outside corner: nothing stands in it", "name another corner");
    const Vec2 out = walls[next].along() - walls[before].along();
    p.add(K::turned).turn = (directionOf(out) - Angle::degrees(90)).normalised();
    for (const std::size_t wall : {before, next})
        p.add(K::fromWall).of = wallTarget(static_cast<int>(wall));
    return true;
}

/// "with six chairs", of a table.
bool withChairs(Placing& p) {
    const std::size_t here = p.in.at();
    int count = 0;
    const bool any = p.in.takeChairs(count);
    if (!any || !p.subject.kind->isSatInTo()) {
        p.in.goTo(here);
        return false;
    }
    p.in.take({"around it", "round it", "at it"});
    if (count < 1 || count > mostAtTable)
        p.fault("no table seats so many", worded("say 1 to {}", mostAtTable));
    p.out.chairs = count;
    return true;
}

} // namespace

std::span<const Phrase> plainPhrases() {
    static const std::vector<Phrase> all{
        {.begins = {"on", "on the"},
         .of = SaidOf::floor,
         .read = &alongWall,
         .follows = Follows::built,
         .help = "",
         .example = ""},
        {.begins = {"wall"},
         .of = SaidOf::floor,
         .read = &alongWall,
         .follows = Follows::wall,
         .help = "",
         .example = ""},
        {.begins = {"on wall", "on the wall", "along wall", "along the wall", "along",
                    "up against"},
         .of = SaidOf::floor,
         .read = &alongWall,
         .help = "the same: what stands has its back to it",
         .example = "on wall C; along wall C; against C"},
        {.begins = {"in the middle of", "in the centre of", "in the center of", "in the middle",
                    "in the centre", "in the center"},
         .of = onPlan,
         .read = &inMiddle,
         .help = "the middle of the room, of a rug, or of a wall, its back to that",
         .example = "in the middle of the room; in the middle of wall A"},
        {.begins = {"in the corner by",
                    "in the corner near",
                    "in the corner next to",
                    "in the corner beside",
                    "in the corner nearest to",
                    "in the corner nearest",
                    "in the corner closest to",
                    "in the corner closest",
                    "in the corner behind",
                    "in the corner to the left of",
                    "in the corner to the right of",
                    "into the corner by",
                    "into the corner near",
                    "into the corner next to",
                    "into the corner beside",
                    "into the corner nearest",
                    "to the corner by",
                    "to the corner near",
                    "to the corner next to",
                    "to the corner beside",
                    "to the corner nearest to",
                    "to the corner nearest",
                    "over to the corner by",
                    "the corner by",
                    "the corner near",
                    "the corner next to",
                    "the corner beside",
                    "the corner nearest to",
                    "the corner nearest",
                    "corner by",
                    "corner near",
                    "corner next to",
                    "corner nearest"},
         .of = onPlan,
         .read = &cornerBy,
         .help = "the nearest corner of the room",
         .example = "in the corner by window 1"},
        {.begins = {"at an angle", "at an angle across", "diagonally", "on the diagonal",
                    "cornerwise", "angled", "across the corner", "across corner"},
         .of = SaidOf::floor,
         .read = &atAnAngle,
         .help = "in a corner, looking out of it, both back corners at the walls",
         .example = "in corner BC, at an angle; at an angle in the corner"},
        {.begins = {"with", "and"},
         .of = SaidOf::floor,
         .read = &withChairs,
         .follows = Follows::chairs,
         .help = "a table, with so many chairs round it",
         .example = ""},
        {.begins = {"on the other side", "on the opposite side", "to the other side",
                    "other side of", "opposite side of", "other side"},
         .of = onPlan,
         .read = &otherSide,
         .help = "beside it, where the one of its kind is not",
         .example = "on the other side of sofa"},
        {.begins = {"opposite", "across from"},
         .of = SaidOf::floor,
         .read = &opposite,
         .help = "before it and looking at it, as far off as one talks",
         .example = "opposite sofa; across from sofa"},
        {.begins = {"at the foot of", "at the end of", "at the head of"},
         .of = SaidOf::floor,
         .read = &atEnd,
         .help = "before the front of a bed, or behind it; beside any other piece",
         .example = "at the foot of bed; at the head of bed"},
    };
    return all;
}

} // namespace mezzet
