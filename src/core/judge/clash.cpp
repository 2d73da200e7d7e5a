// Two things in one place: clash, inside.
#include "edit/new_piece.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/near.h"
#include "judge/rule_code.h"
#include "scheme/on_wall.h"
#include "scheme/rug.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <map>
#include <optional>

namespace mezzet {

namespace {

/// A chair drawn in under a table: its seat fits below the top, and its back stays out of it.
bool tucksUnder(const Piece& chair, const Piece& table, const Gap& g, Length backStaysOut) {
    return fitsUnder(chair, table) &&
           (chair.kind->role == Role::none || chair.kind->role == Role::perch ||
            g.depth <= chair.size.depth - backStaysOut);
}

void judgeClash(const FloorContext& c) {
    const Length contact = c.rule.setting("contact");
    const Length out = c.rule.setting("back stays out");
    const auto& placed = c.scene.placed;
    Near others(c.scene, [](const Piece& p) { return !p.kind->flat(); });
    for (std::size_t i = 0; i < placed.size(); ++i) {
        if (c.leaveOff())
            return;
        if (c.scene.piece(i).kind->flat())
            continue;
        for (const std::size_t k : others.to(placed[i].shape, Length{})) {
            if (k >= i)
                break;
            // What stands on something is not in its place; two on one top are in each other's.
            if (c.scene.piece(i).kind->standsOn() != c.scene.piece(k).kind->standsOn())
                continue;
            const Gap g = gapBetween(placed[i].shape, placed[k].shape);
            if (g.depth <= contact || tucksUnder(c.scene.piece(i), c.scene.piece(k), g, out) ||
                tucksUnder(c.scene.piece(k), c.scene.piece(i), g, out))
                continue;
            c.add(placed[i].id, pieceTarget(placed[k].id), Amount::of(g.depth), g.onFirst,
                  g.onSecond)
                .verdict = Verdict::clash;
        }
    }
}

/// A wall's things in one place: two that hang, one over an opening or over an outlet. What leans
/// may stand before what else does; curtains hang over their window.
void judgeWallClash(const WallContext& c) {
    const Length contact = c.rule.setting("contact");
    const auto& hung = c.scene.hung;
    const auto add = [&](std::size_t i, const Target& other, const Gap& g) {
        Reading& r = c.addOnWall(c.scene.hungPiece(i).wall(), hung[i].id, other,
                                 Amount::of(g.depth), c.band, g.onFirst, g.onSecond);
        r.verdict = Verdict::clash;
    };
    for (std::size_t i = 0; i < hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.isGroup())
            continue;
        const bool leans = p.hanging.mount == Mount::leaned;
        const bool curtain = p.kind->role == Role::curtain;
        for (std::size_t k = 0; k < i; ++k) {
            const Piece& q = c.scene.hungPiece(k);
            if (q.isGroup() || q.wall() != p.wall() || leans || q.hanging.mount == Mount::leaned ||
                curtain || q.kind->role == Role::curtain)
                continue;
            if (const Gap g = gapBetween(hung[i].shape, hung[k].shape); g.depth > contact)
                add(i, pieceTarget(q.id), g);
        }
        if (curtain)
            continue;
        // Furniture that stands where it hangs: nearer to the wall than it is deep.
        const Box own = bounds(hung[i].shape);
        for (const Standing& s : standingBefore(c.scene, p.wall())) {
            const Piece& q = c.scene.floor.piece(s.index);
            if (leans || q.kind->flat() || s.off >= p.size.depth.mm() - contact.mm())
                continue;
            Box before;
            before.include(Vec2{s.left, s.base});
            before.include(Vec2{s.right, s.base + q.size.height.mm()});
            const double wide =
                std::min(before.high.x, own.high.x) - std::max(before.low.x, own.low.x);
            const double high =
                std::min(before.high.y, own.high.y) - std::max(before.low.y, own.low.y);
            if (wide <= contact.mm() || high <= contact.mm())
                continue;
            Gap g;
            g.depth = Length::millimetres(std::min(wide, high));
            g.onFirst = g.onSecond = {std::max(before.low.x, own.low.x) + wide / 2,
                                      std::max(before.low.y, own.low.y) + high / 2};
            add(i, pieceTarget(q.id), g);
        }
        const auto over = [&](const Target& t, const Box& b) {
            const std::array<Vec2, 4> corners{b.low, Vec2{b.high.x, b.low.y}, b.high,
                                              Vec2{b.low.x, b.high.y}};
            if (const Gap g = gapBetween(hung[i].shape, convexPolygon(corners)); g.depth > contact)
                add(i, t, g);
        };
        for (const Opening& o : c.scene.room->openings)
            if (o.wall == p.wall())
                over(targetOf(o), *boxOn(targetOf(o), p.wall(), c.scene));
        for (const Fixture& f : c.scene.room->fixtures)
            if (f.wall == p.wall() && f.isPoint() && !leans && p.kind->role != Role::sconce &&
                contains(hung[i].shape, {f.left.mm(), f.up.mm()}))
                over(targetOf(f), [&] {
                    Box b;
                    b.include(Vec2{f.left.mm() - 35, f.up.mm() - 57});
                    b.include(Vec2{f.left.mm() + 35, f.up.mm() + 57});
                    return b;
                }());
    }
}

/// What hangs past the ends of its wall, over the ceiling or under the floor.
void judgeWallInside(const WallContext& c) {
    const double contact = c.rule.setting("contact").mm();
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (p.group() != 0)
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        const double length = c.scene.room->walls[static_cast<std::size_t>(p.wall())].length().mm();
        const double top =
            std::min({ceilingOver(*c.scene.room, p.wall(), std::max(b.low.x, 0.0)),
                      ceilingOver(*c.scene.room, p.wall(), std::min(b.high.x, length)),
                      ceilingOver(*c.scene.room, p.wall(), b.centre().x)});
        Target corner;
        corner.is = Target::Is::corner;
        const auto past = [&](double by, const Target& t, Vec2 from, Vec2 to) {
            if (by <= contact)
                return;
            c.addOnWall(p.wall(), p.id, t, Amount::of(Length::millimetres(by)), c.band, from, to)
                .verdict = Verdict::clash;
        };
        const Vec2 m = b.centre();
        corner.index = p.wall();
        past(-b.low.x, corner, {b.low.x, m.y}, {0, m.y});
        corner.index = (p.wall() + 1) % static_cast<int>(c.scene.room->walls.size());
        past(b.high.x - length, corner, {b.high.x, m.y}, {length, m.y});
        Target ceiling;
        ceiling.is = Target::Is::ceiling;
        past(b.high.y - top, ceiling, {m.x, b.high.y}, {m.x, top});
        past(-b.low.y, roomTarget(), {m.x, b.low.y}, {m.x, 0});
    }
}

struct Through {
    double depth = 0;
    Vec2 deepest;
};

/// How far a shape reaches past a wall's face, over the wall's own length. A wall that turns away
/// at an outside corner does not count what lies beside it.
Through pastWall(const Shape& s, const Wall& w) {
    const Vec2 in = w.inward();
    const double face = dot(w.start, in);
    Through out;
    if (-extent(s, -in) >= face)
        return out;
    const Vec2 along = w.along();
    const double left = dot(w.start, along);
    const double right = dot(w.end, along);
    for (const Convex& c : s.all()) {
        const Vec2 p = support(c, -in);
        const double at = dot(p, along);
        if (at > left && at < right) {
            const double depth = face - dot(p, in);
            if (depth > out.depth)
                out = {depth, p};
            continue;
        }
        // The part beside the wall's end does not count: look at the end's own line.
        const double gone = gapBetween(c, linePart({w.start, w.end})).depth.mm();
        if (gone > out.depth)
            out = {gone, at <= left ? w.start : w.end};
    }
    return out;
}

void judgeInside(const FloorContext& c) {
    const double contact = c.rule.setting("contact").mm();
    const Room& room = *c.scene.room;
    const auto& corners = room.edge;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Placed& p = c.scene.placed[i];
        if (const Piece& lies = c.scene.piece(i); isCut(lies)) {
            if (const auto out = outOfRoom(room, trueOutline(lies, p.pose))) {
                Reading& r = c.add(p.id, wallTarget(out->wall), Amount{Quantity::length, out->by},
                                   out->at, out->inside);
                r.second = Amount::of(Length::millimetres(out->by));
                r.verdict = Verdict::clash;
            }
            continue;
        }
        const bool centreIn = !room.closed || insideOutline(corners, p.shape.centre);
        // One reading a wall: of a curve or a bay, the stretch it goes through deepest.
        struct Past {
            std::size_t stretch = 0;
            Through through;
        };
        std::map<int, Past> past;
        std::optional<std::size_t> nearest;
        double near = 0;
        for (std::size_t k = 0; k < room.stretches(); ++k) {
            const Wall wall = room.stretchAt(k);
            // A piece whose middle is outside is judged by the wall that is nearest to it.
            if (!centreIn) {
                const double far =
                    norm(p.shape.centre - nearestOn({wall.start, wall.end}, p.shape.centre));
                if (!nearest || far < near) {
                    near = far;
                    nearest = k;
                }
                continue;
            }
            const Shape face = stretch({wall.start, wall.end});
            if (fartherThan(p.shape, face, Length::millimetres(1)) ||
                gapBetween(p.shape, face).depth.mm() <= contact)
                continue;
            const Through t = pastWall(p.shape, wall);
            auto& worst = past[room.edgeWall[k]];
            if (t.depth > contact && t.depth > worst.through.depth)
                worst = {k, t};
        }
        std::erase_if(past, [](const auto& one) { return one.second.through.depth <= 0; });
        const auto add = [&](int w, double depth, Vec2 from, Vec2 to) {
            Reading& r = c.add(p.id, wallTarget(w), Amount{Quantity::length, depth}, from, to);
            // The depth through one wall doesn't tell that a piece goes farther out along it.
            r.second = Amount::of(throughWalls(c.scene, p.id));
            r.verdict = Verdict::clash;
        };
        for (const auto& [w, worst] : past)
            add(w, worst.through.depth, worst.through.deepest,
                worst.through.deepest +
                    room.stretchAt(worst.stretch).inward() * worst.through.depth);
        if (nearest) {
            const Wall wall = room.stretchAt(*nearest);
            const Vec2 in = wall.inward();
            // Beside the wall's end nothing of it may lie behind the wall's own line.
            const double depth = std::max(dot(wall.start, in) + extent(p.shape, -in),
                                          throughWalls(c.scene, p.id).mm());
            const Vec2 deepest = support(p.shape, -in);
            add(room.edgeWall[*nearest], depth, deepest, deepest + in * depth);
        }
        for (const auto& f : room.fixtures) {
            // What passes under a thing on the wall, or over a low one, is not in its place.
            if (c.scene.piece(i).kind->flat() || !f.takesFloor() ||
                c.scene.piece(i).size.height <= f.up)
                continue;
            const Gap g = gapBetween(p.shape, solid(room, f));
            if (g.depth.mm() > contact)
                c.add(p.id, targetOf(f), Amount::of(g.depth), g.onFirst, g.onSecond).verdict =
                    Verdict::clash;
        }
    }
}

struct Lowest {
    double height = 1e300; ///< mm, from the floor the piece stands on
    Vec2 at;
    int wall = -1; ///< whose slope or beam it is
};

/// The lowest headroom over a footprint. Slopes are planes, so it lies at a corner of the outline;
/// beams are looked at by themselves.
Lowest headroomOver(const Room& room, const Shape& s) {
    Lowest out;
    const Length level = room.levelAt(s.centre);
    const auto reach = [&](int wall, Vec2 direction) {
        const Wall& w = room.walls[static_cast<std::size_t>(wall)];
        return extent(s, direction) - dot(w.start, direction);
    };
    for (const Slope& slope : room.slopes) {
        const Vec2 in = room.walls[static_cast<std::size_t>(slope.wall)].inward();
        const double near = std::max(-reach(slope.wall, -in), 0.0);
        if (near >= slope.full.mm())
            continue;
        const double h =
            slope.knee.mm() + (room.ceiling - slope.knee).mm() * near / slope.full.mm();
        if (h < out.height)
            out = {h, support(s, -in), slope.wall};
    }
    for (const Beam& b : room.beams) {
        const Vec2 in = room.walls[static_cast<std::size_t>(b.at.wall)].inward();
        const double near = -reach(b.at.wall, -in);
        const double far = reach(b.at.wall, in);
        const double h = (room.ceiling - b.drop).mm();
        if (far > b.at.away.value.mm() && near < (b.at.away.value + b.width).mm() && h < out.height)
            out = {h, s.centre, b.at.wall};
    }
    if (const double h = room.ceilingAt(s.centre).mm(); h < out.height)
        out = {h, s.centre, -1};
    out.height -= level.mm();
    return out;
}

void judgeHeadroom(const FloorContext& c) {
    const double contact = c.rule.setting("contact").mm();
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        const Lowest low = headroomOver(*c.scene.room, c.scene.placed[i].shape);
        const double over = p.size.height.mm() - low.height;
        if (over <= contact)
            continue;
        const Target other = low.wall >= 0 ? wallTarget(low.wall) : roomTarget();
        c.add(p.id, other, Amount{Quantity::length, over}, c.scene.placed[i].pose.at, low.at)
            .verdict = Verdict::clash;
    }
}

/// Away from the wall the ceiling comes down to, or made lower.
std::vector<Handle> lower(const Reading& r, double target, const Project& job, const Scene& scene) {
    std::vector<Handle> out;
    const double by = r.value.value - target;
    if (r.other.is == Target::Is::wall) {
        auto away = moveAway(job, scene, r.piece, r.other, by);
        away.slope = -1;
        out.push_back(away);
    }
    const double now = job.scheme().byId(r.piece)->size.height.mm();
    out.push_back(resize(job, scene, r.piece, SizeFigure::height, now - by, 1));
    return out;
}

std::vector<Handle> apart(const Reading& r, double target, const Project& job, const Scene& scene) {
    const double by = r.value.value - target;
    std::vector<Handle> out;
    if (r.surface.isWall())
        return moveAnywhereOnWall(job, scene, r.piece, by, -1);
    auto away = moveAway(job, scene, r.piece, r.other, by);
    away.slope = -1;
    out.push_back(away);
    if (r.other.is == Target::Is::piece) {
        auto other = moveAway(job, scene, r.other.piece, pieceTarget(r.piece), by);
        other.slope = -1;
        out.push_back(other);
    }
    return out;
}

constexpr std::array<RuleCode, 3> clashCodes{
    {{"clash", {judgeClash, judgeWallClash}, apart, true},
     {"inside", {judgeInside, judgeWallInside}, apart, true},
     {"headroom", judgeHeadroom, lower, true}}};

} // namespace

std::span<const RuleCode> clashRules() {
    return clashCodes;
}

} // namespace mezzet
