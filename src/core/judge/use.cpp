// Room in use: access.
#include "judge/use.h"

#include "geometry/gap.h"
#include "geometry/lane.h"
#include "judge/ahead.h"
#include "judge/at_table.h"
#include "judge/rule_code.h"

#include <algorithm>
#include <array>

namespace mezzet {

namespace {

/// What is moved aside by hand.
bool isLight(const Piece& p) {
    switch (p.kind->role) {
    case Role::lowTable:
    case Role::sideTable:
    case Role::perch:
    case Role::diningChair:
        return true;
    default:
        return false;
    }
}

struct Ask {
    int piece = 0; ///< whose front it is; 0 for what is built in
    Target what;
    Lane lane;
    Length wanted;
    std::string_view says;
    bool seldom = false;
    Length above; ///< pieces no taller than this don't count
};

void asksOf(const FloorView& scene, const Rule& rule, std::vector<Ask>& out) {
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        const Kind& k = *p.kind;
        if (k.opens.empty() && k.family != Family::storage && k.role != Role::none)
            continue;
        if (k.role == Role::bed || k.flat() || k.role == Role::diningChair)
            continue;
        const Pose& pose = scene.placed[i].pose;
        const double w = p.size.width.mm() / 2;
        const double d = p.size.depth.mm() / 2;
        const auto ask = [&](Length wanted, Vec2 face, Vec2 along, Length half) {
            if (wanted > Length{})
                out.push_back({p.id,
                               pieceTarget(p.id),
                               {pose.toRoom(face), along, half},
                               wanted,
                               k.opens,
                               k.opensSeldom,
                               {}});
        };
        ask(k.use.front, {0, d}, pose.front(), p.size.width / 2);
        ask(k.use.back, {0, -d}, -pose.front(), p.size.width / 2);
        ask(k.use.right, {w, 0}, pose.right(), p.size.depth / 2);
        ask(k.use.left, {-w, 0}, -pose.right(), p.size.depth / 2);
    }
    for (const Fixture& f : room.fixtures) {
        Length wanted;
        std::string_view says;
        if (f.kind == FixtureKind::radiator) {
            wanted = rule.setting("radiator");
            says = "its warmth";
        } else if (f.kind == FixtureKind::fireplace) {
            wanted = std::max(rule.setting("fire"), f.hearthDepth);
            says = "the fire";
        } else if (f.kind == FixtureKind::builtIn && f.up < rule.setting("closet up to")) {
            wanted = rule.setting("closet");
            says = "its doors";
        } else {
            continue;
        }
        const Wall& w = room.walls[static_cast<std::size_t>(f.wall)];
        const Vec2 face = w.at(f.left + f.width / 2) + w.inward() * f.depth.mm();
        out.push_back({0, targetOf(f), {face, w.inward(), f.width / 2}, wanted, says, false, {}});
    }
    for (const Opening& o : room.openings) {
        if (o.kind != OpeningKind::window || o.opens != WindowOpens::inward)
            continue;
        // Two casements, unless it is narrow: a leaf is half its width.
        const Length leaf = o.width > rule.setting("one leaf") ? o.width / 2 : o.width;
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        out.push_back({0,
                       targetOf(o),
                       {w.at(o.left + o.width / 2), w.inward(), o.width / 2},
                       leaf,
                       "its leaves",
                       false,
                       o.sill});
    }
}

std::optional<Stop> stopOf(const FloorView& scene, const Ask& a, Length look) {
    return firstAhead(scene, a.lane, look, [&](std::size_t i) {
        const Piece& p = scene.piece(i);
        return p.id != a.piece && !(a.seldom && isLight(p)) && p.size.height > a.above + quiet;
    });
}

void judgeAccess(const FloorContext& c) {
    std::vector<Ask> asks;
    asksOf(c.scene, c.rule, asks);
    const Length spare = c.rule.setting("spare");
    for (const Ask& a : asks) {
        const auto stop = stopOf(c.scene, a, a.wanted + spare);
        if (!stop)
            continue;
        Band band;
        band.low = a.wanted.mm();
        const Vec2 from = stop->at - a.lane.along * stop->ahead;
        if (a.piece != 0) {
            c.add(a.piece, stop->what, Amount{Quantity::length, stop->ahead}, band, from, stop->at)
                .part = static_cast<int>(std::lround(a.lane.along.x * 2 + a.lane.along.y)) + 4;
        } else if (stop->what.is == Target::Is::piece) {
            c.add(stop->what.piece, a.what, Amount{Quantity::length, stop->ahead}, band, from,
                  stop->at);
        }
    }
}

std::vector<Handle> clear(const Reading& r, double target, const Project& job, const Scene& scene) {
    const double by = target - r.value.value;
    std::vector<Handle> out;
    out.push_back(moveAway(job, scene, r.piece, r.other, by));
    if (r.other.is == Target::Is::piece)
        out.push_back(moveAway(job, scene, r.other.piece, pieceTarget(r.piece), by));
    return out;
}

constexpr std::array<RuleCode, 1> useCodes{{{"access", judgeAccess, clear, false, true}}};

} // namespace

std::span<const RuleCode> useRules() {
    return useCodes;
}

std::vector<UseZone> useZones(const FloorView& scene, const RuleBook& book) {
    std::vector<UseZone> out;
    const Rule* access = book.byId("access");
    const Rule* chairs = book.byId("chair-pull-out");
    const auto add = [&](const Ask& a) {
        UseZone z;
        z.piece = a.piece;
        z.what = a.what;
        z.says = a.says;
        z.wanted = a.wanted;
        z.free = a.wanted;
        if (const auto stop = stopOf(scene, a, a.wanted);
            stop && stop->ahead < a.wanted.mm() - 0.01) {
            z.free = Length::millimetres(stop->ahead);
            z.stops = stop->what;
        }
        const Vec2 side = quarter(a.lane.along) * a.lane.halfWidth.mm();
        const Vec2 deep = a.lane.along * a.wanted.mm();
        z.outline = {a.lane.from - side, a.lane.from + side, a.lane.from + side + deep,
                     a.lane.from - side + deep};
        out.push_back(std::move(z));
    };
    if (access != nullptr) {
        std::vector<Ask> asks;
        asksOf(scene, *access, asks);
        for (const Ask& a : asks)
            add(a);
    }
    if (chairs != nullptr) {
        for (std::size_t i = 0; i < scene.placed.size(); ++i) {
            if (scene.piece(i).kind->role != Role::diningChair)
                continue;
            const auto table = tableOf(scene, i, chairs->setting("at table"));
            const auto edge = table ? tableEdge(scene, i, *table) : std::nullopt;
            if (!edge)
                continue;
            UseZone z;
            z.piece = scene.placed[i].id;
            z.what = pieceTarget(z.piece);
            z.says = "the chair drawn back";
            z.outline = outline(inUse(scene, i, *table, chairs->setting("draw")));
            const Lane lane{*edge, -scene.placed[i].pose.front(), scene.piece(i).size.width / 2};
            z.wanted = z.free = chairs->setting("draw");
            if (const auto stop = firstAhead(
                    scene, lane, z.wanted, [&](std::size_t k) { return k != i && k != *table; })) {
                z.free = Length::millimetres(stop->ahead);
                z.stops = stop->what;
            }
            out.push_back(std::move(z));
        }
    }
    for (std::size_t d = 0; d < scene.room->openings.size(); ++d) {
        const Opening& o = scene.room->openings[d];
        if (const auto swing = doorSwing(*scene.room, o)) {
            UseZone z;
            z.what = targetOf(o);
            z.says = "its leaf";
            z.outline = outline(*swing, Length::millimetres(2));
            z.wanted = z.free = o.width;
            for (std::size_t i = 0; i < scene.placed.size(); ++i) {
                if (scene.piece(i).kind->flat())
                    continue;
                const Gap g = gapBetween(scene.placed[i].shape, *swing);
                if (g.depth.mm() > 0.01) {
                    z.free = std::min(z.free, o.width - g.depth);
                    z.stops = pieceTarget(scene.placed[i].id);
                }
            }
            out.push_back(std::move(z));
        }
    }
    return out;
}

} // namespace mezzet
