// What a rug holds and how it fills its room: rug-hold, rug-dining, rug-border.
#include "edit/place.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"
#include "judge/lying.h"
#include "judge/rug_facts.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "scheme/rug.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

// ---- rug-hold ----

/// What a rug may hold: not a runner, and large enough to stand a chair on.
bool holds(const Piece& rug, const Lying& l, const Rule& rule) {
    const double least = rule.setting("least side").mm();
    return !isRunner(rug) && l.area >= least * least;
}

void judgeHold(const FloorContext& c) {
    const auto rugs = rugsOf(c.scene, false);
    if (rugs.empty())
        return;
    const Length leg = c.book.habit("rug-leg");
    const Length front = c.book.habit("front-legs-least");
    const double near = c.rule.setting("near").mm();
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& seat = c.scene.piece(i);
        if (!isLounge(seat) || !seat.on.isFloor())
            continue;
        const Placed& where = c.scene.placed[i];
        const Lying* best = nullptr;
        SeatOnRug most;
        for (const Lying& l : rugs) {
            const Piece& rug = c.scene.piece(l.index);
            if (!holds(rug, l, c.rule) ||
                fartherThan(where.shape, c.scene.placed[l.index].shape, Length::millimetres(near)))
                continue;
            const SeatOnRug on = seatOnRug(seat, where.pose, l.corners, leg, front);
            // One behind or beside a seat is another group's.
            const bool ahead =
                where.pose.toLocal(c.scene.placed[l.index].pose.at).y > 0 || on.legsOn > 0;
            if (on.depth < -near || !ahead || (best != nullptr && on.depth <= most.depth))
                continue;
            best = &l;
            most = on;
        }
        if (best == nullptr)
            continue;
        const Piece& rug = c.scene.piece(best->index);
        const double d = seat.size.depth.mm() / 2;
        const Vec2 edge = where.pose.toRoom({0, d});
        Reading& r =
            c.add(seat.id, pieceTarget(rug.id), Amount::of(Length::millimetres(most.depth)), edge,
                  where.pose.toRoom({0, d - most.depth}));
        r.second = {Quantity::count, static_cast<double>(most.legsOn)};
        r.instead = most.how == SeatOnRug::How::all                 ? "all"
                    : r.verdict == Verdict::tight && most.depth < 0 ? "floating"
                                                                    : "";
    }
}

std::vector<Handle> holdHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const int rug = r.other.piece;
    const Placed* seat = scene.byId(r.piece);
    if (seat == nullptr || r.other.is != Target::Is::piece)
        return {};
    const double by = target - r.value.value;
    std::vector<Handle> out;
    auto toward = moveAway(job, scene, rug, pieceTarget(r.piece), -by);
    toward.slope = -1;
    out.push_back(std::move(toward));
    out.push_back(widen(job, scene, rug, seat->pose.front(), 2 * by, 0.5));
    auto seatToward = moveAway(job, scene, r.piece, pieceTarget(rug), -by);
    seatToward.slope = -1;
    out.push_back(std::move(seatToward));
    return out;
}

// ---- rug-dining ----

/// How far a rug reaches past a table's edge, at the narrowest of a lane out from it; less than
/// nothing where it ends under the table. mm.
double pastEdge(const std::vector<Vec2>& rug, const Lane& lane, Vec2 middle) {
    const Vec2 side = quarter(lane.along);
    const double half = lane.halfWidth.mm() - 0.005;
    const double edge = dot(lane.from - middle, lane.along);
    double least = 1e300;
    for (std::size_t i = 0; i < rug.size(); ++i) {
        const Vec2 a{dot(rug[i] - lane.from, side), dot(rug[i] - middle, lane.along)};
        const Vec2 q = rug[(i + 1) % rug.size()];
        const Vec2 b{dot(q - lane.from, side), dot(q - middle, lane.along)};
        const double from = std::max(std::min(a.x, b.x), -half);
        const double to = std::min(std::max(a.x, b.x), half);
        if (from > to)
            continue;
        for (const double x : {from, to}) {
            const double y =
                std::abs(b.x - a.x) > 1e-9 ? a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x) : a.y;
            if (y > 0)
                least = std::min(least, y);
        }
    }
    return least - edge;
}

void judgeDining(const FloorContext& c) {
    const auto rugs = rugsOf(c.scene, false);
    if (rugs.empty())
        return;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& table = c.scene.piece(i);
        if (table.kind->role != Role::diningTable || !table.on.isFloor())
            continue;
        const Vec2 middle = c.scene.placed[i].pose.at;
        // The smallest it stands on.
        const Lying* under = nullptr;
        for (const Lying& l : rugs)
            if (insideOutline(l.corners, middle) && (under == nullptr || l.area < under->area))
                under = &l;
        if (under == nullptr)
            continue;
        int part = 0;
        for (const Lane& lane :
             seatingSides(c.scene, i, c.rule.setting("place"), c.rule.setting("at table"))) {
            const double past = pastEdge(under->corners, lane, middle);
            Reading& r = c.add(c.scene.piece(under->index).id, pieceTarget(table.id),
                               Amount::of(Length::millimetres(past)), lane.from,
                               lane.from + lane.along * past);
            r.part = ++part;
        }
    }
}

std::vector<Handle> diningHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    const double by = target - r.value.value;
    const Vec2 way = norm(r.at[1] - r.at[0]) > 0.01 ? unit(r.at[1] - r.at[0]) : Vec2{0, 1};
    const auto* rug = scene.byId(r.piece);
    if (rug == nullptr)
        return {};
    std::vector<Handle> out{widen(job, scene, r.piece, way, 2 * by, 0.5)};
    if (std::abs(way.x) > 0.9) {
        auto h = moveRight(job, scene, r.piece, way.x > 0 ? by : -by);
        h.slope = way.x > 0 ? 1 : -1;
        out.push_back(std::move(h));
    }
    return out;
}

// ---- rug-border ----

/// The floor left bare between an edge of a rug and the wall it looks at.
struct Bare {
    int wall = 0;
    double by = 0; ///< mm
    Vec2 onRug;
    Vec2 onWall;
};

/// The narrowest toward each wall, for edges that run along it.
std::vector<Bare> bareOf(const FloorView& scene, const Lying& l, double leastEdge) {
    const Room& room = *scene.room;
    std::vector<Bare> out;
    for (std::size_t i = 0; i < l.corners.size(); ++i) {
        const Vec2 a = l.corners[i];
        const Vec2 b = l.corners[(i + 1) % l.corners.size()];
        if (norm(b - a) < leastEdge)
            continue;
        const Vec2 outward = quarter(unit(b - a)) * -1.0;
        const Vec2 from = (a + b) / 2;
        // The wall met first, straight out from the middle of the edge.
        std::optional<std::size_t> hit;
        double least = 1e300;
        for (std::size_t k = 0; k < room.stretches(); ++k) {
            const Wall w = room.stretchAt(k);
            const double against = -dot(outward, w.inward());
            if (against < 0.9)
                continue;
            const double far = dot(from - w.start, w.inward()) / against;
            const double along = dot(from + outward * far - w.start, w.along());
            if (far > -1 && far < least && along > -1 && along < w.length().mm() + 1) {
                least = far;
                hit = k;
            }
        }
        if (!hit)
            continue;
        const Wall w = room.stretchAt(*hit);
        const Gap g = gapBetween(stretch({a, b}), stretch({w.start, w.end}));
        const int wall = room.edgeWall[*hit];
        const auto it =
            std::find_if(out.begin(), out.end(), [&](const Bare& o) { return o.wall == wall; });
        const Bare one{wall, g.apart.mm(), g.onFirst, g.onSecond};
        if (it == out.end())
            out.push_back(one);
        else if (one.by < it->by)
            *it = one;
    }
    return out;
}

/// Whether a rug is there to fill its room, and so has a border and not just floor round it.
bool fills(const FloorView& scene, const Piece& p, const Lying& l, const Rule& rule) {
    return rugOf(p).fit ||
           (!isRunner(p) && l.area >= rule.number("share") * scene.room->floorArea());
}

void judgeBorder(const FloorContext& c) {
    const Room& room = *c.scene.room;
    if (!room.closed)
        return;
    for (const Lying& l : rugsOf(c.scene, false)) {
        const Piece& p = c.scene.piece(l.index);
        if (!fills(c.scene, p, l, c.rule))
            continue;
        const auto bare = bareOf(c.scene, l, c.rule.setting("least edge").mm());
        // Where it was said to end, what lies beyond is meant.
        const auto meant = [&](const Bare& b) {
            if (!rugOf(p).fit)
                return true;
            const RugFit& fit = *rugOf(p).fit;
            for (const auto* list : {&fit.ends, &fit.clear})
                for (const Target& t : *list)
                    for (const Opening& o : room.openings)
                        if (targetOf(o) == t && o.wall == b.wall)
                            return false;
            return (fit.ends.empty() && fit.clear.empty()) ||
                   b.by <= c.band.high.value_or(1e9) * 1.5;
        };
        for (const Bare& b : bare)
            if (meant(b))
                c.add(p.id, wallTarget(b.wall), Amount::of(Length::millimetres(b.by)), b.onRug,
                      b.onWall);
        // Opposite sides alike.
        for (std::size_t i = 0; i < bare.size(); ++i)
            for (std::size_t k = i + 1; k < bare.size(); ++k) {
                const Wall& a = room.walls[static_cast<std::size_t>(bare[i].wall)];
                const Wall& b = room.walls[static_cast<std::size_t>(bare[k].wall)];
                const double over = std::abs(bare[i].by - bare[k].by);
                if (dot(a.inward(), b.inward()) > -0.99 || !meant(bare[i]) || !meant(bare[k]))
                    continue;
                Band even;
                even.high = c.rule.setting("uneven").mm();
                Reading& r =
                    c.add(p.id, wallTarget(bare[i].wall), Amount::of(Length::millimetres(over)),
                          even, bare[i].onRug, bare[k].onRug);
                r.part = bare[k].wall + 1;
                r.from = wallTarget(bare[k].wall);
                r.instead = r.verdict == Verdict::loose ? "uneven" : "even";
            }
    }
}

/// The same rug with another border.
Result<Edit> withBorder(const Project& job, const Scene& scene, int id, double border) {
    Piece p = asItStands(job, scene, id);
    if (!p.rug || !p.rug->fit || border < 0)
        return Problem{"it is not cut to the room", ""};
    Placement said;
    said.rug = *p.rug;
    said.rug->fit->border = Length::millimetres(border);
    return placePiece(job, scene, std::move(p), std::move(said));
}

std::vector<Handle> borderHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    const Piece* p = job.scheme().byId(r.piece);
    if (p == nullptr || r.other.is != Target::Is::wall)
        return {};
    const double by = target - r.value.value;
    const Wall& w = job.room->walls[static_cast<std::size_t>(r.other.index)];
    std::vector<Handle> out;
    if (p->rug && p->rug->fit) {
        if (r.part == 0)
            out.push_back(
                {.edit = [&job, &scene,
                          id = r.piece](double x) { return withBorder(job, scene, id, x); },
                 .line =
                     [&job, id = r.piece](double x) {
                         return fmt::format("{} {} off the walls", job.scheme().byId(id)->name,
                                            writeGap(Length::millimetres(x), job.notation));
                     },
                 .start = target});
        return out;
    }
    if (r.part > 0) {
        // Half of what is uneven, toward the wider side.
        auto h = moveAway(job, scene, r.piece, r.other, by / -2);
        h.slope = -2;
        auto other = moveAway(job, scene, r.piece, r.from, by / -2);
        other.slope = -2;
        out.push_back(std::move(h));
        out.push_back(std::move(other));
        return out;
    }
    out.push_back(widen(job, scene, r.piece, w.inward(), -2 * by, -0.5));
    out.push_back(moveAway(job, scene, r.piece, r.other, by));
    return out;
}

constexpr std::array<RuleCode, 3> rugsCodes{
    {{.id = "rug-hold", .judge = judgeHold, .handles = holdHandles, .toNearest = true},
     {.id = "rug-dining", .judge = judgeDining, .handles = diningHandles},
     {.id = "rug-border", .judge = judgeBorder, .handles = borderHandles}}};

} // namespace

std::span<const RuleCode> rugRules() {
    return rugsCodes;
}

} // namespace mezzet
