// Beside what is named: a piece, what is in a wall, or the two it is between.
#include "edit/phrases_beside.h"

#include "edit/beside_wall.h"
#include "edit/landing.h"
#include "edit/place.h"
#include "geometry/gap.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/spoken.h"

#include <algorithm>

namespace mezzet {

namespace {

using Is = Target::Is;
using K = Tie::Kind;

/// The side of a piece where this one fits, or is already: right or left of it, or where nothing
/// more is said than that it is near, before or behind it. Where it fits on neither in line with
/// that, further forward.
Side freerSide(const Placing& p, int id, bool anySide, Length& forward) {
    // Where it is not beside it yet, a side that is free.
    const bool near = [&] {
        const Placed* own = p.scene.inPlan(p.subject.id);
        const Placed* to = p.scene.inPlan(id);
        return own != nullptr && to != nullptr &&
               gapBetween(own->shape, to->shape).apart < Length::inches(12);
    }();
    const Placed* other = p.scene.inPlan(id);
    const Piece* piece = p.scene.scheme->byId(id);
    if (other == nullptr)
        return Side::right;
    if (const Placed* own = p.scene.inPlan(p.subject.id); own != nullptr && near)
        return other->pose.toLocal(own->pose.at).x < 0 ? Side::left : Side::right;
    for (const Side s : {Side::right, Side::left}) {
        const double sign = s == Side::right ? 1 : -1;
        const double x = sign * ((piece->size.width + p.subject.size.width).mm() / 2 + 1);
        const double y = alongside(p.scene, *piece, p.subject).mm();
        if (clearOf(p.scene, p.subject, {other->pose.toRoom({x, y}), other->pose.turn}))
            return s;
    }
    for (const Side s : {Side::front, Side::behind}) {
        const double sign = s == Side::front ? 1 : -1;
        const double y = sign * ((piece->size.depth + p.subject.size.depth).mm() / 2 + 1);
        if (anySide && clearOf(p.scene, p.subject, {other->pose.toRoom({0, y}), other->pose.turn}))
            return s;
    }
    const Length step = Length::centimetres(2);
    const Length far = (piece->size.depth + p.subject.size.depth) / 2;
    for (Length by = step; by < far; by = by + step)
        for (const Side s : {Side::right, Side::left}) {
            const double sign = s == Side::right ? 1 : -1;
            const double x = sign * ((piece->size.width + p.subject.size.width).mm() / 2 + 1);
            const double y = (alongside(p.scene, *piece, p.subject) + by).mm();
            if (clearOf(p.scene, p.subject, {other->pose.toRoom({x, y}), other->pose.turn})) {
                forward = by;
                return s;
            }
        }
    return Side::right;
}

bool saysLeft(std::string_view words) {
    return words.find("left") != std::string_view::npos;
}
bool saysRight(std::string_view words) {
    return words.find("right") != std::string_view::npos;
}
bool saysBefore(std::string_view words) {
    return words == "in front of" || words == "before" || words == "out in front of";
}

Side sideSaid(const Placing& p, std::string_view words, const Target& t, Length& forward) {
    if (words == "behind")
        return Side::behind;
    if (saysLeft(words))
        return Side::left;
    if (saysRight(words))
        return Side::right;
    const bool near = words == "by" || words == "near" || words == "close to";
    return saysBefore(words) ? Side::front : freerSide(p, t.piece, near, forward);
}

/// "…, on the right", "on its left side", behind what a thing is beside; none, and nothing taken,
/// for all else.
std::optional<Side> sideAfter(Placing& p) {
    const std::size_t here = p.in.at();
    p.in.comma();
    for (const auto& [word, side] :
         {std::pair{"left", Side::left}, std::pair{"right", Side::right}})
        for (const char* before : {"on the ", "on its ", "to the ", "to its ", "at the ", "on "}) {
            const std::string said = std::string(before) + word;
            if (p.in.take({said + " hand side", said + "-hand side", said + " side", said}) &&
                (p.in.done() || p.in.ahead().empty() || phraseAhead(p.in, false)))
                return side;
            p.in.goTo(here);
            p.in.comma();
        }
    p.in.goTo(here);
    return {};
}

/// "between window 1 and wall B": in the wall of the one, as far as the other.
bool betweenInWall(Placing& p, const Target& in, const Target& end) {
    const auto wall = wallIn(in, *p.scene.room);
    const int walls = static_cast<int>(p.scene.room->walls.size());
    if (in.is == Is::wall || end.is != Is::wall || !wall || !p.subject.kind->takesFloor() ||
        p.subject.kind->flat())
        return false;
    const bool right = (*wall + 1) % walls == end.index;
    const auto box = boxOn(in, *wall, p.scene);
    if ((!right && (end.index + 1) % walls != *wall) || !box)
        return false;
    const double length = p.scene.room->walls[static_cast<std::size_t>(*wall)].length().mm();
    const double free = right ? length - box->high.x : box->low.x;
    const double off = (free - p.subject.size.width.mm()) / 2;
    if (off < 0)
        p.fault(worded("there is no room for {} there", p.name()),
                "make it smaller, or say another place");
    // "on wall B, between …" has said so already.
    if (std::none_of(p.out.ties.begin(), p.out.ties.end(), [&](const Tie& t) {
            return t.kind == K::against && t.of == wallTarget(*wall);
        }))
        p.add(K::against).of = wallTarget(*wall);
    Tie& corner = p.add(K::fromCorner);
    corner.of.is = Is::corner;
    corner.of.index = right ? end.index : *wall;
    corner.of.alongNext = !right;
    corner.distance = Length::millimetres(off);
    return true;
}

} // namespace

/// "by window 1", "6 left of door 1": its back to the wall, beside what is in it, on the side with
/// more free wall when none is said. "by wall A": its back to it.
bool byWall(Placing& p, const Target& t, Length d) {
    const auto wall = wallOf(t, p.scene);
    const auto& openings = p.scene.room->openings;
    const bool leaf = std::any_of(openings.begin(), openings.end(), [&](const Opening& o) {
        return t == targetOf(o) && doorSwing(*p.scene.room, o).has_value();
    });
    if (wall && p.said == "behind" && leaf)
        p.fault("behind a door its leaf opens, and nothing can stand there",
                worded("say it like: by {}", words(t, p.in.job().wording())));
    if (!wall || p.said == "behind")
        p.fault("a wall has no side to stand on", "say “24 from wall B” or “30 from corner AB”");
    const bool left = saysLeft(p.said);
    const bool right = saysRight(p.said);
    if (t.is == Is::wall) {
        if (left || right)
            p.fault("a wall has no side to stand on",
                    "say “24 from wall B” or “30 from corner AB”");
        if (d > Length{})
            p.add(K::fromWall).distance = d;
        else
            p.add(K::against);
        p.out.ties.back().of = t;
        return true;
    }
    const auto ties = left || right ? besideInWall(t, *wall, left ? Side::left : Side::right, d,
                                                   p.subject, p.scene)
                                    : besideFreely(t, *wall, d, p.subject, p.scene);
    if (ties.empty())
        p.fault(worded("there is no room for {} there", p.name()),
                "make it smaller, or say another place");
    for (const Tie& tie : ties)
        if (std::none_of(p.out.ties.begin(), p.out.ties.end(),
                         [&](const Tie& o) { return o.kind == tie.kind && o.of == tie.of; })) {
            p.add(tie.kind) = tie;
            if (tie.kind == K::against)
                p.usuallyAgainst(tie.of);
        }
    return true;
}

/// What is set down before a seat stands as far from it as knees need: a low table, a footstool
/// before a sofa.
bool hasUsualGap(const Placing& p, const Target& t) {
    const Piece* seat = p.scene.pieceById(t.piece);
    if (p.subject.id != 0 || seat == nullptr || !seat->kind->isSeat())
        return false;
    const Role role = p.subject.kind->role;
    return (role == Role::lowTable &&
            (seat->kind->role == Role::sofa || seat->kind->role == Role::armchair)) ||
           (role == Role::perch && seat->kind->role == Role::sofa);
}

/// Behind a desk that has its back to a wall there is no room for a chair: whoever says so means
/// where one sits at it.
bool sitsBehind(const Placing& p, const Target& t) {
    const Piece* desk = p.scene.pieceById(t.piece);
    const Placed* there = desk != nullptr ? p.scene.inPlan(desk->id) : nullptr;
    const auto wall = there != nullptr && desk->kind->role == Role::desk && p.subject.kind->isSeat()
                          ? wallBehind(p.scene, desk->id)
                          : std::nullopt;
    if (!wall)
        return false;
    const Wall& w = p.scene.room->walls[static_cast<std::size_t>(*wall)];
    const Vec2 back = there->pose.toRoom({0, -desk->size.depth.mm() / 2});
    return dot(back - w.start, w.inward()) < p.subject.size.depth.mm();
}

bool beside(Placing& p, Length d, bool unsaid) {
    const std::string_view words = p.said;
    const Target t = p.target(ties::things, "beside");
    if (t.is != Is::piece) {
        if (!saysBefore(words))
            return byWall(p, t, d);
        if (d <= Length{})
            d = keptOff(t, *p.subject.kind, *p.scene.room, *p.in.job().library.book);
        // Touching what is in a wall, its back is to that.
        const Target wall = p.toWall(t);
        const bool touching = d <= Length{} && !p.subject.kind->flat() && t != wall;
        Tie& tie = p.add(touching ? K::against : K::fromWall);
        tie.of = touching ? wall : t;
        tie.distance = d;
        p.add(K::centredOn).of = t;
        const bool hearth = t.is == Is::chimney || t.is == Is::fixture;
        if (!touching && hearth && p.subject.kind->isSeat() && !p.facesSomething())
            p.add(K::facing).of = t;
        else if (const auto behind = wallIn(t, *p.scene.room);
                 !touching && behind && !p.facesSomething() &&
                 (wall.is == Is::wall || !p.subject.kind->flat()))
            p.add(K::squareTo).of = wallTarget(*behind);
        return true;
    }
    Length forward;
    Side side = sideSaid(p, words, t, forward);
    if (side == Side::behind && d <= Length{} && sitsBehind(p, t))
        side = Side::front;
    if (unsaid && side == Side::front && d <= Length{} && hasUsualGap(p, t))
        d = usualBy(p.in.job(), "seat-to-table");
    // "next to the bed, on the right"
    if (!saysLeft(words) && !saysRight(words) && words != "behind" && !saysBefore(words))
        side = sideAfter(p).value_or(side);
    // "behind the sofa, on the left": in line with that end.
    if ((words == "behind" || saysBefore(words)) && p.scene.pieceById(t.piece) != nullptr)
        if (const auto end = sideAfter(p)) {
            Tie& tie = p.add(K::fromPiece);
            tie.of = t;
            tie.distance = d;
            tie.side = side;
            Tie& along = p.add(K::centredOn);
            along.of = t;
            along.distance = (p.scene.pieceById(t.piece)->size.width - p.subject.size.width) / 2 *
                             (*end == Side::left ? -1 : 1);
            return true;
        }
    Tie& tie = p.add(K::fromPiece);
    tie.of = t;
    tie.distance = d;
    tie.side = side;
    if (side == Side::left || side == Side::right || !p.overlapsAlong(t))
        p.wantsAlongside(t, forward);
    return true;
}

bool between(Placing& p) {
    const Target of = p.target();
    p.in.take({"and"});
    const Target also = p.target();
    if (of == also)
        p.fault(worded("both are {}", spoken(of, p.in.job().wording())),
                "name two things, like: between sofa and wall A");
    if (betweenInWall(p, of, also) || betweenInWall(p, also, of))
        return true;
    Tie& tie = p.add(K::centredBetween);
    tie.of = of;
    tie.also = also;
    // Two that stand at one wall have what is between them at that wall too.
    const auto at = [&](const Target& t) {
        return t.is == Is::piece ? wallBehind(p.scene, t.piece) : std::nullopt;
    };
    const auto wall = at(of);
    const auto standsAt = [](const Tie& t) { return t.fixesTurn() || t.kind == K::against; };
    if (p.subject.id == 0 && wall && wall == at(also) && p.subject.kind->takesFloor() &&
        !p.subject.kind->flat() && p.subject.kind->family == Family::storage &&
        std::none_of(p.out.ties.begin(), p.out.ties.end(), standsAt))
        p.add(K::against).of = wallTarget(*wall);
    return true;
}

} // namespace mezzet
