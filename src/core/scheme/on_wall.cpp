#include "scheme/on_wall.h"

#include "scheme/surfaces.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// What stands farther from the wall than this is not furniture of that wall.
constexpr Length near = Length::inches(60);

const Wall& wallOf(const Room& room, int wall) {
    return room.walls[static_cast<std::size_t>(wall)];
}

/// How far a floor shape reaches along a wall, from its left corner, and off it.
Standing seenFrom(const Shape& s, const Wall& w) {
    const double base = dot(w.start, w.along());
    Standing out;
    out.left = -extent(s, -w.along()) - base;
    out.right = extent(s, w.along()) - base;
    out.off = -extent(s, -w.inward()) - dot(w.start, w.inward());
    return out;
}

Box box(double left, double right, double low, double high) {
    Box b;
    b.include(Vec2{left, low});
    b.include(Vec2{right, high});
    return b;
}

double reach(const Piece& p, Angle turn, Vec2 direction) {
    return extent(placed(p.shape(), drawn(p.on, {{0, 0}, turn})), direction);
}

double levelOf(const Box& b, Level l) {
    return l == Level::bottom ? b.low.y : l == Level::top ? b.high.y : b.centre().y;
}

double stairStart(const Fixture& f) {
    return (f.upRight ? f.left : f.left + f.width).mm();
}

std::optional<Length> railHeight(const Room& room, Target::Is is) {
    const auto& m = room.mouldings;
    switch (is) {
    case Target::Is::skirting:
        return m.skirting;
    case Target::Is::chairRail:
        return m.chairRail;
    case Target::Is::pictureRail:
        return m.pictureRail;
    default:
        return {};
    }
}

} // namespace

Vec2 offWall(const Wall& w, double along, Length out) {
    return w.start + w.along() * along + w.inward() * out.mm();
}

Length faceOut(const Room& room, int wall, double left, double right) {
    for (const Fixture& f : room.fixtures)
        if (f.wall == wall && f.isBreast() && left >= f.left.mm() - 1 &&
            right <= (f.left + f.width).mm() + 1)
            return f.depth;
    return {};
}

std::vector<Standing> standingBefore(const FloorView& scene, int wall) {
    const Wall& w = wallOf(*scene.room, wall);
    const double length = w.length().mm();
    std::vector<Standing> out;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        Standing x = seenFrom(scene.placed[i].shape, w);
        x.index = i;
        if (x.right <= 0 || x.left >= length || x.off > near.mm() || x.off < -near.mm())
            continue;
        x.left = std::max(x.left, 0.0);
        x.right = std::min(x.right, length);
        x.base = baseOf(scene, i).mm();
        out.push_back(x);
    }
    std::stable_sort(out.begin(), out.end(), [&](const Standing& a, const Standing& b) {
        const bool fa = scene.piece(a.index).kind->flat();
        const bool fb = scene.piece(b.index).kind->flat();
        return fa != fb ? fa : a.off < b.off;
    });
    return out;
}

std::optional<Box> boxOn(const Target& t, int wall, const Scene& scene) {
    const Room& room = *scene.room;
    const Wall& w = wallOf(room, wall);
    const double length = w.length().mm();
    switch (t.is) {
    case Target::Is::piece: {
        const FloorView floor(scene);
        for (std::size_t i = 0; i < floor.placed.size(); ++i)
            if (floor.placed[i].id == t.piece) {
                const Standing x = seenFrom(floor.placed[i].shape, w);
                const double base = baseOf(floor, i).mm();
                return box(x.left, x.right, base, base + floor.piece(i).size.height.mm());
            }
        const Piece* p = scene.pieceById(t.piece);
        if (p == nullptr || !p->onWall())
            return {};
        return bounds(scene.byId(t.piece)->shape);
    }
    case Target::Is::wall:
    case Target::Is::room:
        return box(0, length, 0, ceilingOver(room, wall, length / 2));
    case Target::Is::corner: {
        const int count = static_cast<int>(room.walls.size());
        if (t.index == wall)
            return box(0, 0, 0, room.ceiling.mm());
        if (t.index == (wall + 1) % count)
            return box(length, length, 0, room.ceiling.mm());
        return {};
    }
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
        for (const Opening& o : room.openings)
            if (t == targetOf(o))
                return box(o.left.mm(), (o.left + o.width).mm(), o.sill.mm(), o.head().mm());
        return {};
    case Target::Is::chimney:
    case Target::Is::fixture: {
        const Fixture* f = fixtureOf(room, t);
        if (f == nullptr)
            return {};
        if (f->isPoint())
            return box(f->left.mm(), f->left.mm(), f->up.mm(), f->up.mm());
        const double top = f->toCeiling ? room.ceiling.mm() : (f->up + f->height).mm();
        return box(f->left.mm(), (f->left + f->width).mm(), f->up.mm(), top);
    }
    case Target::Is::ceiling: {
        double low = room.ceiling.mm();
        for (const Vec2 p : room.topOf(wall))
            low = std::min(low, p.y);
        return box(0, length, low, low);
    }
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        if (const auto h = railHeight(room, t.is))
            return box(0, length, h->mm(), h->mm());
        return {};
    case Target::Is::none:
        return {};
    }
    return {};
}

double nosingAt(const Fixture& f, double along) {
    const double way = f.upRight ? 1 : -1;
    const double up = (along - stairStart(f)) * way;
    const double most = (f.risers - 1) * f.going.mm();
    if (f.going <= Length{})
        return 0;
    return f.riser.mm() * (1 + std::min(up, most) / f.going.mm());
}

bool overStairs(const Fixture& f, double along) {
    const double foot = Length::inches(12).mm();
    return f.upRight ? along > f.left.mm() - foot : along < (f.left + f.width).mm() + foot;
}

double floorUnder(const Room& room, int wall, double along) {
    const Fixture* stairs = stairsOn(room, wall);
    return stairs != nullptr && overStairs(*stairs, along) ? std::max(nosingAt(*stairs, along), 0.0)
                                                           : 0.0;
}

double nosingSlope(const Fixture& f, double along) {
    const double way = f.upRight ? 1 : -1;
    const double up = (along - stairStart(f)) * way;
    if (f.going <= Length{} || up >= (f.risers - 1) * f.going.mm())
        return 0;
    return way * (f.riser / f.going);
}

const Fixture* stairsOn(const Room& room, int wall) {
    for (const Fixture& f : room.fixtures)
        if (f.wall == wall && f.kind == FixtureKind::stairs)
            return &f;
    return nullptr;
}

double ceilingOver(const Room& room, int wall, double along) {
    const auto top = room.topOf(wall);
    for (std::size_t i = 0; i + 1 < top.size(); ++i)
        if (along >= top[i].x && along <= top[i + 1].x && top[i + 1].x > top[i].x)
            return top[i].y +
                   (top[i + 1].y - top[i].y) * (along - top[i].x) / (top[i + 1].x - top[i].x);
    return room.ceiling.mm();
}

std::vector<TieLine> wallTieLines(const Tie& t, const Piece& p, Angle turn, const Scene& scene,
                                  double along) {
    const Vec2 right{1, 0};
    const Vec2 up{0, 1};
    const auto line = [](Vec2 n, double c) { return std::vector<TieLine>{{n, c}}; };
    const auto of = boxOn(t.of, p.wall(), scene);
    const double d = t.distance.mm();
    /// How far the piece's own foot, centre or top lies under its centre.
    const auto own = [&](Level l) {
        return l == Level::bottom ? reach(p, turn, -up)
               : l == Level::top  ? -reach(p, turn, up)
                                  : 0.0;
    };
    switch (t.kind) {
    case Tie::Kind::centredOn:
        return of ? line(right, of->centre().x + d) : std::vector<TieLine>{};
    case Tie::Kind::centredBetween: {
        const auto also = boxOn(t.also, p.wall(), scene);
        if (!of || !also)
            return {};
        const bool inOrder = of->centre().x <= also->centre().x;
        const Box& l = inOrder ? *of : *also;
        const Box& r = inOrder ? *also : *of;
        return line(right, (l.high.x + r.low.x) / 2 + d);
    }
    case Tie::Kind::fromCorner: {
        const bool left = t.of.index == p.wall();
        const double edge = t.to == MeasuredTo::centre ? 0
                            : left                     ? reach(p, turn, -right)
                                                       : -reach(p, turn, right);
        const double length = scene.room->walls[static_cast<std::size_t>(p.wall())].length().mm();
        return line(right, (left ? d : length - d) + edge);
    }
    case Tie::Kind::fromPiece:
        if (!of)
            return {};
        return t.side == Side::left ? line(right, of->low.x - d - reach(p, turn, right))
                                    : line(right, of->high.x + d + reach(p, turn, -right));
    case Tie::Kind::at:
        return {{right, d}, {up, t.second.mm()}};
    case Tie::Kind::inGroup: {
        const Vec2 centre = scene.byId(t.of.piece)->pose.at;
        return {{right, centre.x + d}, {up, centre.y + t.second.mm()}};
    }
    case Tie::Kind::height:
    case Tie::Kind::eyeLevel: {
        const double z = d + (t.kind == Tie::Kind::height ? own(t.level) : 0.0);
        const Fixture* stairs = fixtureOf(*scene.room, t.of);
        if (stairs == nullptr)
            return line(up, z);
        const double slope = nosingSlope(*stairs, along);
        const double scale = std::hypot(slope, 1);
        return line(Vec2{-slope, 1} / scale,
                    (nosingAt(*stairs, along) - slope * along + z) / scale);
    }
    case Tie::Kind::above:
        return of ? line(up, of->high.y + d + own(Level::bottom)) : std::vector<TieLine>{};
    case Tie::Kind::below:
        return of ? line(up, of->low.y - d + own(Level::top)) : std::vector<TieLine>{};
    case Tie::Kind::levelWith:
        return of ? line(up, levelOf(*of, t.levelOf) + d + own(t.level)) : std::vector<TieLine>{};
    default:
        return {};
    }
}

namespace {

/// Why a tie can't be said on the floor or under the ceiling, which share their x and y.
std::string unsuitedOnLevel(const Tie& t, const Piece& p, const Scheme& scheme) {
    using K = Tie::Kind;
    const bool hangsDown = p.on.isCeiling();
    const char* where = hangsDown ? "a piece under the ceiling" : "a piece on the floor";
    if (t.kind == K::fromEdge)
        return "only a piece on a top or a shelf can be so";
    if (hangsDown && (t.kind == K::under || t.kind == K::atPlace))
        return fmt::format("{} can't be so", where);
    if (t.onlyOnWall() && !(hangsDown && t.fixesDrop()))
        return hangsDown ? fmt::format("{} can't be so", where)
                         : std::string("only a piece on a wall can be so");
    const auto outOfPlan = [&](int id) -> std::string {
        const Piece* other = scheme.byId(id);
        // Over anything at all something can hang, so far above it.
        if (other == nullptr || (hangsDown && t.fixesDrop()) || other->on.isCeiling() ||
            seenFromAbove(*other, scheme))
            return {};
        return fmt::format("{} can't be tied to one {}", where,
                           other->onWall() ? "on a wall" : "in an opening or on a ledge");
    };
    for (const Target* x : {&t.of, &t.also}) {
        if (x->is == Target::Is::piece)
            if (auto why = outOfPlan(x->piece); !why.empty())
                return why;
        if (x->is == Target::Is::ceiling && hangsDown && t.kind == K::below)
            continue;
        if (x->is == Target::Is::ceiling || x->is == Target::Is::skirting ||
            x->is == Target::Is::chairRail || x->is == Target::Is::pictureRail)
            return fmt::format("{} can't be tied to that", where);
    }
    if (hangsDown && t.kind == K::height && t.of.is != Target::Is::none)
        return fmt::format("{} can't be so", where);
    if (hangsDown && t.kind == K::above && t.of.is != Target::Is::piece)
        return "only over a piece can that be said";
    if (hangsDown && t.kind == K::below && t.of.is != Target::Is::ceiling)
        return "only below the ceiling can that be said";
    if (t.kind == K::fromPiece && t.of.is != Target::Is::piece)
        return "that side is a piece's";
    for (const int id : t.group)
        if (auto why = outOfPlan(id); !why.empty())
            return why;
    return {};
}

/// Why a tie can't be said of what stands on a top or in an opening.
std::string unsuitedOnBoard(const Tie& t, const Piece& p, const Scheme& scheme) {
    using K = Tie::Kind;
    if (t.kind == K::at || t.kind == K::turned || t.kind == K::fromEdge)
        return {};
    const auto shared = [&](const Target& x) {
        const Piece* other = x.is == Target::Is::piece ? scheme.byId(x.piece) : nullptr;
        return other != nullptr && other->on == p.on;
    };
    const bool carrier = t.of == pieceTarget(p.on.piece);
    if (t.kind == K::centredOn && (carrier || shared(t.of)))
        return {};
    if (t.kind == K::centredBetween && shared(t.of) && shared(t.also))
        return {};
    if ((t.kind == K::fromPiece || t.kind == K::inLineWith) && shared(t.of))
        return {};
    if (t.of.is == Target::Is::piece && !carrier && !shared(t.of))
        return "that does not stand on the same board";
    return "a piece on a top or a shelf can't be so";
}

} // namespace

std::string unsuited(const Tie& t, const Piece& p, const Room& room, const Scheme& scheme) {
    using K = Tie::Kind;
    if (p.on.isCarried())
        return unsuitedOnBoard(t, p, scheme);
    if (!p.onWall())
        return unsuitedOnLevel(t, p, scheme);
    if (t.kind == K::fromEdge)
        return "a piece on a wall can't be so";
    const bool suits = t.onlyOnWall() || t.kind == K::centredOn || t.kind == K::centredBetween ||
                       t.kind == K::fromCorner || t.kind == K::at || t.kind == K::turned ||
                       (t.kind == K::fromPiece && (t.side == Side::left || t.side == Side::right));
    if (!suits)
        return "a piece on a wall can't be so";
    const bool across = t.kind == K::centredOn || t.kind == K::centredBetween ||
                        t.kind == K::fromPiece || t.kind == K::fromCorner;
    const auto onThisWall = [&](const Target& x) {
        const int count = static_cast<int>(room.walls.size());
        switch (x.is) {
        case Target::Is::piece: {
            const Piece* other = scheme.byId(x.piece);
            return other == nullptr ||
                   (other->onWall() ? other->on == p.on : seenFromAbove(*other, scheme));
        }
        case Target::Is::wall:
            return x.index == p.wall();
        case Target::Is::corner:
            return x.index == p.wall() || x.index == (p.wall() + 1) % count;
        case Target::Is::window:
        case Target::Is::door:
        case Target::Is::opening:
            return std::any_of(room.openings.begin(), room.openings.end(), [&](const Opening& o) {
                return x == targetOf(o) && o.wall == p.wall();
            });
        case Target::Is::chimney:
        case Target::Is::fixture: {
            const Fixture* f = fixtureOf(room, x);
            return f != nullptr && f->wall == p.wall();
        }
        default:
            return true;
        }
    };
    if (across && (!onThisWall(t.of) || (t.kind == K::centredBetween && !onThisWall(t.also))))
        return fmt::format("that is not on wall {}, where it hangs", wallName(p.wall()));
    if (t.kind == K::fromCorner && t.of.is != Target::Is::corner)
        return fmt::format("that wall does not meet wall {}", wallName(p.wall()));
    for (const Target* x : {&t.of, &t.also})
        if ((x->is == Target::Is::skirting || x->is == Target::Is::chairRail ||
             x->is == Target::Is::pictureRail) &&
            !railHeight(room, x->is))
            return "the room has no such rail";
    if (t.kind == K::inGroup) {
        const Piece* group = t.of.is == Target::Is::piece ? scheme.byId(t.of.piece) : nullptr;
        if (group == nullptr || !group->isGroup() || group->on != p.on)
            return "that is no group of its wall";
    }
    return {};
}

std::optional<int> wallBehind(const Scene& scene, int piece) {
    const Piece* p = scene.pieceById(piece);
    if (p != nullptr && p->onWall())
        return p->wall();
    const Placed* where = scene.fromAbove(piece);
    if (p == nullptr || where == nullptr)
        return {};
    for (const Tie& t : p->ties)
        if (t.kind == Tie::Kind::against && t.of.is == Target::Is::wall)
            return t.of.index;
    std::optional<int> best;
    double least = near.mm();
    for (std::size_t i = 0; i < scene.room->walls.size(); ++i) {
        const Wall& w = scene.room->walls[i];
        const Standing s = seenFrom(where->shape, w);
        const double middle = (s.left + s.right) / 2;
        // Its back is to the wall, or it has no back worth naming: the nearest wall then.
        const bool backed = dot(where->pose.front(), w.inward()) > 0.7;
        const double far = s.off + (backed ? 0 : near.mm() / 2);
        if (middle > 0 && middle < w.length().mm() && s.off > -near.mm() && far < least) {
            least = far;
            best = static_cast<int>(i);
        }
    }
    return best;
}

Box groupBox(const Scheme& scheme, int group) {
    Box b;
    for (const Piece* p : scheme.members(group))
        for (const Tie& t : p->ties)
            if (t.kind == Tie::Kind::inGroup) {
                const Vec2 at{t.distance.mm(), t.second.mm()};
                b.include(at + Vec2{-reach(*p, p->pose.turn, {-1, 0}),
                                    -reach(*p, p->pose.turn, {0, -1})});
                b.include(at +
                          Vec2{reach(*p, p->pose.turn, {1, 0}), reach(*p, p->pose.turn, {0, 1})});
            }
    return b;
}

} // namespace mezzet
