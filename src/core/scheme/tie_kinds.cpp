// The table of ties, and what goes by it for all of them.
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"
#include "scheme/tie_kind.h"

#include <algorithm>

namespace mezzet {

const TieKind& tieKind(Tie::Kind kind) {
    using K = Tie::Kind;
    switch (kind) { // a kind without an entry does not compile
    case K::against:
        return ties::against;
    case K::inCorner:
        return ties::inCorner;
    case K::turned:
        return ties::turned;
    case K::squareTo:
        return ties::squareTo;
    case K::inLineWith:
        return ties::inLineWith;
    case K::facing:
        return ties::facing;
    case K::fromPiece:
        return ties::fromPiece;
    case K::fromWall:
        return ties::fromWall;
    case K::fromCorner:
        return ties::fromCorner;
    case K::centredOn:
        return ties::centredOn;
    case K::centredBetween:
        return ties::centredBetween;
    case K::under:
        return ties::under;
    case K::at:
        return ties::at;
    case K::atPlace:
        return ties::atPlace;
    case K::height:
        return ties::height;
    case K::eyeLevel:
        return ties::eyeLevel;
    case K::above:
        return ties::above;
    case K::below:
        return ties::below;
    case K::levelWith:
        return ties::levelWith;
    case K::inGroup:
        return ties::inGroup;
    case K::fromEdge:
        return ties::fromEdge;
    }
    return ties::at;
}

std::span<const TieKind* const> tieKinds() {
    static const auto all = [] {
        std::array<const TieKind*, Tie::kinds> out{};
        for (std::size_t i = 0; i < out.size(); ++i)
            out[i] = &tieKind(static_cast<Tie::Kind>(i));
        return out;
    }();
    return all;
}

const TieKind* tieByWord(std::string_view word) {
    for (const TieKind* k : tieKinds())
        if (k->word == word)
            return k;
    return nullptr;
}

const std::optional<TieOn>& TieKind::on(SurfaceId surface) const {
    switch (surface.is) {
    case SurfaceKind::floor:
        return floor;
    case SurfaceKind::ceiling:
        return ceiling;
    case SurfaceKind::wall:
        return wall;
    case SurfaceKind::opening:
    case SurfaceKind::top:
        return board;
    }
    return floor;
}

Targets TieKind::targets() const {
    Targets out{};
    for (const auto* where : {&floor, &ceiling, &wall, &board})
        if (*where)
            out = out | (*where)->of;
    return out;
}

bool Tie::fixesTurn() const {
    return tieKind(kind).fixes.has(Fixes::turn);
}
bool Tie::fixesPlace() const {
    return fixesAcross() || fixesHeight();
}
bool Tie::fixesAcross() const {
    return tieKind(kind).fixes.has(Fixes::across);
}
bool Tie::fixesHeight() const {
    return tieKind(kind).fixes.has(Fixes::up);
}
bool Tie::fixesDrop() const {
    const auto& ceiling = tieKind(kind).ceiling;
    return ceiling && ceiling->drop != nullptr;
}

std::string words(const Tie& t, const Wording& w) {
    return tieKind(t.kind).words({t, w});
}

std::string TieSay::gap(Length l) const {
    return writeGap(l, wording.notation);
}

const Placed& TieAsk::there(int id) const {
    return *seenBy(scene, piece, id);
}

double TieAsk::reach(Vec2 way) const {
    return extent(placed(piece.shape(), drawn(piece.on, {{0, 0}, turn})), way);
}

double TieAsk::offFace(Vec2 n, double face) const {
    const double d = tie.distance.mm();
    return tie.to == MeasuredTo::centre ? face + d : face + d + reach(-n);
}

TieLines tieLines(const TieAsk& ask) {
    const auto& where = tieKind(ask.tie.kind).on(ask.piece.on);
    return where && where->lines != nullptr && where->drop == nullptr ? where->lines(ask)
                                                                      : TieLines{};
}

TieLines tieLines(const Tie& t, const Piece& p, Angle turn, const Scene& scene) {
    return tieLines(TieAsk{t, p, turn, scene, p.pose.at.x});
}

Length dropOf(const Tie& t, const Piece& p, Vec2 at, const Scene& scene) {
    const auto& ceiling = tieKind(t.kind).ceiling;
    return ceiling && ceiling->drop != nullptr ? ceiling->drop(t, p, at, scene) : p.off;
}

namespace {

/// Why what a tie refers to is not seen on the floor, or under the ceiling; they share x and y.
std::string outOfPlan(const Tie& t, const Piece& p, const Scheme& scheme) {
    const bool hangsDown = p.on.isCeiling();
    std::vector<int> ids = t.group;
    for (const Target* x : {&t.of, &t.also})
        if (x->is == Target::Is::piece)
            ids.push_back(x->piece);
    for (const int id : ids) {
        const Piece* other = scheme.byId(id);
        // Over anything at all something can hang, so far above it; what hangs on a wall is faced,
        // and stood before.
        const bool before = t.kind == Tie::Kind::facing || t.kind == Tie::Kind::centredOn;
        if (other == nullptr || (before && other->onWall()) || (hangsDown && t.fixesDrop()) ||
            other->on.isCeiling() || seenFromAbove(*other, scheme))
            continue;
        return worded("{} can't be tied to one {}",
                      hangsDown ? "a piece under the ceiling" : "a piece on the floor",
                      other->onWall() ? "on a wall" : "in an opening or on a ledge");
    }
    return {};
}

/// Why what a tie refers to does not stand on the same board.
std::string offTheBoard(const Tie& t, const Piece& p, const Scheme& scheme) {
    for (const Target* x : {&t.of, &t.also}) {
        if (x->is != Target::Is::piece)
            continue;
        const Piece* other = scheme.byId(x->piece);
        const bool carrier = *x == pieceTarget(p.on.piece);
        if (carrier ? t.kind != Tie::Kind::centredOn || x != &t.of
                    : other == nullptr || other->on != p.on)
            return carrier ? "a piece on a top or a shelf can't be so"
                           : "that does not stand on the same board";
    }
    return {};
}

/// Why what a tie refers to is not on the wall the piece hangs on.
std::string offTheWall(const Tie& t, const Piece& p, const Room& room, const Scheme& scheme) {
    using Is = Target::Is;
    const int count = static_cast<int>(room.walls.size());
    const auto here = [&](const Target& x) {
        switch (x.is) {
        case Is::piece: {
            const Piece* other = scheme.byId(x.piece);
            return other == nullptr ||
                   (other->onWall() ? other->on == p.on : seenFromAbove(*other, scheme));
        }
        case Is::wall:
            return x.index == p.wall();
        case Is::corner:
            return x.index == p.wall() || x.index == (p.wall() + 1) % count;
        case Is::window:
        case Is::door:
        case Is::opening:
            return std::any_of(room.openings.begin(), room.openings.end(), [&](const Opening& o) {
                return x == targetOf(o) && o.wall == p.wall();
            });
        case Is::chimney:
        case Is::fixture: {
            const Fixture* f = fixtureOf(room, x);
            return f != nullptr && f->wall == p.wall();
        }
        case Is::none:
        case Is::room:
        case Is::ceiling:
        case Is::skirting:
        case Is::chairRail:
        case Is::pictureRail:
            return true;
        }
        return true;
    };
    // A height is told of anything that has one, wherever it is.
    const bool across = t.fixesAcross() && !t.fixesHeight();
    if (across && (!here(t.of) || !here(t.also)))
        return worded("that is not on wall {}, where it hangs", wallName(p.wall()));
    for (const Target* x : {&t.of, &t.also})
        if (isRail(x->is) && !railHeight(room, x->is))
            return "the room has no such rail";
    return {};
}

} // namespace

std::string unsuited(const Tie& t, const Piece& p, const Room& room, const Scheme& scheme) {
    const TieKind& kind = tieKind(t.kind);
    const auto& said = kind.on(p.on);
    const char* where = p.on.isFloor()     ? "a piece on the floor"
                        : p.on.isCeiling() ? "a piece under the ceiling"
                        : p.onWall()       ? "a piece on a wall"
                                           : "a piece on a top or a shelf";
    if (!said) {
        if (kind.board && !kind.floor)
            return p.onWall() ? worded("{} can't be so", where)
                              : std::string("only a piece on a top or a shelf can be so");
        return p.on.isFloor() ? std::string("only a piece on a wall can be so")
                              : worded("{} can't be so", where);
    }
    if (p.onWall())
        if (auto why = offTheWall(t, p, room, scheme); !why.empty())
            return why;
    if (!said->of.has(t.of.is)) {
        if (said->otherwise != nullptr)
            return said->otherwise;
        return t.of.is == Target::Is::none ? worded("{} can't be so", where)
                                           : worded("{} can't be tied to that", where);
    }
    if (t.also.is != Target::Is::none && !said->of.has(t.also.is))
        return worded("{} can't be tied to that", where);
    auto why = p.on.isCarried()                     ? offTheBoard(t, p, scheme)
               : p.on.isFloor() || p.on.isCeiling() ? outOfPlan(t, p, scheme)
                                                    : std::string();
    if (why.empty() && said->unfit != nullptr)
        why = said->unfit(t, p, room, scheme);
    return why;
}

} // namespace mezzet
