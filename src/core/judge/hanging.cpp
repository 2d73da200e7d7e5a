// What hangs: heights, widths and gaps of pictures and groups: art-centre, art-above, art-width,
// art-shape, art-size, art-match, group-gap, air-beside, sconce-height, stair-art.
#include "edit/grouping.h"
#include "geometry/gap.h"
#include "hang/free_wall.h"
#include "judge/rule_code.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numeric>
#include <set>

namespace mezzet {

namespace {

bool isPicture(const Piece& p) {
    const Role r = p.kind->role;
    return r == Role::art || r == Role::mirror || r == Role::object || r == Role::group;
}

/// Things that are looked at and judged by themselves: not a group's pieces, nor what leans.
template <class Each> void eachPicture(const WallContext& c, Each each) {
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        if (isPicture(p) && p.group() == 0 && p.hanging.mount != Mount::leaned)
            each(i, p, bounds(c.scene.hung[i].shape));
    }
}

/// The stairs a thing hangs over, if it does.
const Fixture* stairsUnder(const WallsView& scene, int wall, const Box& b) {
    const Fixture* f = stairsOn(*scene.room, wall);
    if (f == nullptr)
        return nullptr;
    return overStairs(*f, b.centre().x) ? f : nullptr;
}

Length setting(const WallContext& c, std::string_view rule, std::string_view name) {
    return c.shared.setting(rule, name);
}

std::optional<std::size_t> furniture(const WallContext& c, int wall, const Box& b) {
    return furnitureUnder(c.scene, c.shared.face(wall), b, setting(c, "art-above", "near"),
                          setting(c, "art-above", "reach"));
}

double topOf(const WallContext& c, int wall, std::size_t piece) {
    return boxOn(pieceTarget(c.scene.floor.piece(piece).id), wall, c.scene)->high.y;
}

/// How high the centre may lie for the gap to the furniture to be in its band.
std::pair<double, double> centresOver(const WallContext& c, const Box& b, double top) {
    const Rule* above = c.book.byId("art-above");
    const Band band = above != nullptr ? c.judgement.bandOf(*above) : Band{};
    const double half = b.size().y / 2;
    return {top + band.low.value_or(0) + half, top + band.high.value_or(1e6) + half};
}

void judgeCentre(const WallContext& c) {
    const Band band = artCentreBand(c.rule, c.judgement);
    eachPicture(c, [&](std::size_t i, const Piece& p, const Box& b) {
        if (stairsUnder(c.scene, p.wall(), b) != nullptr)
            return;
        const Vec2 at = c.scene.hung[i].pose.at;
        const Vec2 middle{at.x, b.centre().y};
        const auto under = furniture(c, p.wall(), b);
        if (under) {
            const auto [low, high] = centresOver(c, b, topOf(c, p.wall(), *under));
            const double gives =
                std::max(low - band.high.value_or(1e6), band.low.value_or(0) - high);
            if (gives > 0.005) {
                Reading& r = c.addOnWall(
                    p.wall(), p.id, pieceTarget(c.scene.floor.piece(*under).id),
                    Amount::of(Length::millimetres(middle.y)), Band{}, {middle.x, 0}, middle);
                r.band = band;
                r.verdict = Verdict::note;
                r.second = Amount::of(Length::millimetres(gives));
                return;
            }
        }
        c.addOnWall(p.wall(), p.id, {}, Amount::of(Length::millimetres(middle.y)), band,
                    {middle.x, 0}, middle);
    });
}

void judgeAbove(const WallContext& c) {
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        const auto under = furniture(c, p.wall(), b);
        if (!under)
            return;
        const double top = topOf(c, p.wall(), *under);
        const auto on = *boxOn(pieceTarget(c.scene.floor.piece(*under).id), p.wall(), c.scene);
        const double x = std::clamp(b.centre().x, on.low.x, on.high.x);
        // What is dark at its foot looks heavy there: the upper half of the band.
        Band band = c.band;
        if (p.darkFoot && band.low && band.high)
            band.low = (*band.low + *band.high) / 2;
        Reading& r = c.addOnWall(p.wall(), p.id, pieceTarget(c.scene.floor.piece(*under).id),
                                 Amount::of(Length::millimetres(b.low.y - top)), band, {x, top},
                                 {x, b.low.y});
        if (p.darkFoot && r.verdict == Verdict::tight)
            r.instead = "dark foot";
    });
}

void judgeArtWidth(const WallContext& c) {
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        const auto under = furniture(c, p.wall(), b);
        // A plate or a clock over a sideboard is one of several things, not the picture over it.
        if (!under || p.kind->role == Role::object)
            return;
        const auto on = *boxOn(pieceTarget(c.scene.floor.piece(*under).id), p.wall(), c.scene);
        const double wide = on.size().x;
        c.addOnWall(p.wall(), p.id, pieceTarget(c.scene.floor.piece(*under).id),
                    Amount::ratio(b.size().x / std::max(wide, 1.0)), c.band, {b.low.x, b.low.y},
                    {b.high.x, b.low.y});
    });
}

void judgeShape(const WallContext& c) {
    // The wall over a piece of furniture is told once, however many things hang there.
    std::set<std::size_t> told;
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        const auto under = furniture(c, p.wall(), b);
        if (!under || p.kind->role == Role::object || !told.insert(*under).second)
            return;
        std::vector<int> but{p.id};
        for (const Piece& q : c.scene.scheme->hung())
            if (q.kind->role == Role::sconce)
                but.push_back(q.id);
        eachPicture(c, [&](std::size_t, const Piece& q, const Box& at) {
            if (q.wall() == p.wall() && furniture(c, q.wall(), at) == under) {
                but.push_back(q.id);
                for (const Piece* m : c.scene.scheme->members(q.id))
                    but.push_back(m->id);
            }
        });
        const auto free = freeOver(c.scene, c.shared.face(p.wall()), *under, but);
        if (!free)
            return;
        const auto room = within(*free, c.rule.setting("sides"),
                                 Length::millimetres(centresOver(c, b, free->low.y).first -
                                                     free->low.y - b.size().y / 2),
                                 c.rule.setting("over"));
        if (!room)
            return;
        Reading& r = c.addOnWall(p.wall(), p.id, pieceTarget(c.scene.floor.piece(*under).id),
                                 Amount::ratio(room->size().x / room->size().y), Band{}, room->low,
                                 room->high);
        r.verdict = Verdict::note;
        r.second = Amount::of(Length::millimetres(room->size().x));
    });
}

void judgeSize(const WallContext& c) {
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        if (p.kind->role == Role::object || stairsUnder(c.scene, p.wall(), b) != nullptr)
            return;
        const auto all = obstaclesFor(c.scene, c.shared.face(p.wall()), b, {p.id});
        const auto free = freeAround(c.scene, p.wall(), b.centre(), all);
        if (!free)
            return;
        // The wall under a chair's height is not where anyone looks for a picture.
        Box seen = *free;
        seen.low.y = std::max(seen.low.y, Length::inches(30).mm());
        // What hangs over furniture belongs to it, and fills the stretch that gives.
        if (const auto under = furniture(c, p.wall(), b)) {
            const Box below =
                *boxOn(pieceTarget(c.scene.floor.piece(*under).id), p.wall(), c.scene);
            seen.low = {std::max(seen.low.x, below.low.x), std::max(seen.low.y, below.high.y)};
            seen.high.x = std::min(seen.high.x, below.high.x);
        }
        if (Length::millimetres(seen.size().x) < c.rule.setting("wall"))
            return;
        const Length air = c.rule.setting("air");
        const auto room = within(seen, air, air, air);
        if (!room)
            return;
        c.addOnWall(p.wall(), p.id, {},
                    Amount::ratio(b.size().x * b.size().y / (room->size().x * room->size().y)),
                    c.band, b.low, b.high);
    });
}

void judgeMatch(const WallContext& c) {
    struct Largest {
        int piece = 0;
        double area = 0;
        Box box;
    };
    const Room& room = *c.scene.room;
    std::vector<Largest> of(room.walls.size());
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        Largest& l = of[static_cast<std::size_t>(p.wall())];
        if (const double area = b.size().x * b.size().y; area > l.area)
            l = {p.id, area, b};
    });
    const int count = static_cast<int>(room.walls.size());
    for (int a = 0; a < count; ++a)
        for (int k = a + 1; k < count; ++k) {
            const Largest& x = of[static_cast<std::size_t>(a)];
            const Largest& y = of[static_cast<std::size_t>(k)];
            if (x.piece == 0 || y.piece == 0)
                continue;
            const double facing = dot(room.walls[static_cast<std::size_t>(a)].inward(),
                                      room.walls[static_cast<std::size_t>(k)].inward());
            const bool adjoin = k - a == 1 || (room.closed && a == 0 && k == count - 1);
            if (facing > -0.9 && !adjoin)
                continue;
            const Largest& small = x.area <= y.area ? x : y;
            const Largest& large = x.area <= y.area ? y : x;
            c.addOnWall(x.area <= y.area ? a : k, small.piece, pieceTarget(large.piece),
                        Amount::ratio(small.area / large.area), c.band, small.box.low,
                        small.box.high);
        }
}

void judgeGaps(const WallContext& c) {
    for (std::size_t g = 0; g < c.scene.hung.size(); ++g) {
        const Piece& group = c.scene.hungPiece(g);
        if (!group.isGroup())
            continue;
        std::vector<const Placed*> members;
        double sides = 0;
        for (std::size_t i = 0; i < c.scene.hung.size(); ++i)
            if (c.scene.hungPiece(i).group() == group.id) {
                members.push_back(&c.scene.hung[i]);
                const Size s = c.scene.hungPiece(i).outlineSize();
                sides += std::max(s.width, s.depth).mm();
            }
        if (members.size() < 2)
            continue;
        Band band = c.band;
        if (sides / static_cast<double>(members.size()) <= c.rule.setting("small").mm())
            band = {c.rule.number("small low"), c.rule.number("small high"), {}, {}};
        // Each one's nearest neighbour; the one farthest off the band is told.
        const Gap* worst = nullptr;
        std::vector<Gap> nearest;
        for (const Placed* m : members) {
            std::optional<Gap> best;
            for (const Placed* n : members)
                if (m != n)
                    if (const Gap x = gapBetween(m->shape, n->shape);
                        !best || x.clear() < best->clear())
                        best = x;
            nearest.push_back(*best);
        }
        double most = -1;
        for (const Gap& x : nearest) {
            const double v = x.clear().mm();
            const double off = std::max(band.low.value_or(0) - v, v - band.high.value_or(1e9));
            if (worst == nullptr || off > most) {
                most = off;
                worst = &x;
            }
        }
        c.addOnWall(group.wall(), group.id, {}, Amount::of(worst->clear()), band, worst->onFirst,
                    worst->onSecond);
    }
}

void judgeAir(const WallContext& c) {
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        const double length = c.scene.room->walls[static_cast<std::size_t>(p.wall())].length().mm();
        double best = 1e300;
        Target what;
        Vec2 from;
        Vec2 to;
        const auto beside = [&](double left, double right, double low, double high,
                                const Target& t) {
            const double y0 = std::max(low, b.low.y);
            const double y1 = std::min(high, b.high.y);
            if (y1 <= y0)
                return;
            const double gap = left >= b.high.x ? left - b.high.x : b.low.x - right;
            if (gap < 0 || gap >= best)
                return;
            best = gap;
            what = t;
            const double y = (y0 + y1) / 2;
            from = {left >= b.high.x ? b.high.x : b.low.x, y};
            to = {left >= b.high.x ? left : right, y};
        };
        for (const auto& o : obstaclesFor(c.scene, c.shared.face(p.wall()), b, {p.id}))
            if (o.what.is != Target::Is::piece || c.scene.scheme->byId(o.what.piece)->onWall())
                if (o.box.size().x > 1)
                    beside(o.box.low.x, o.box.high.x, o.box.low.y, o.box.high.y, o.what);
        Target corner;
        corner.is = Target::Is::corner;
        corner.index = p.wall();
        beside(-1, 0, 0, 1e6, corner);
        corner.index = (p.wall() + 1) % static_cast<int>(c.scene.room->walls.size());
        beside(length, length + 1, 0, 1e6, corner);
        if (best < 1e299)
            c.addOnWall(p.wall(), p.id, what, Amount::of(Length::millimetres(best)), c.band, from,
                        to);
    });
}

void judgeSconce(const WallContext& c) {
    for (std::size_t i = 0; i < c.scene.hung.size(); ++i) {
        const Piece& p = c.scene.hungPiece(i);
        // One over a picture lights that; one that swings is set by who reads.
        if (p.kind->role != Role::sconce || p.size.depth >= c.rule.setting("swings") ||
            p.size.height < p.size.width)
            continue;
        const Box b = bounds(c.scene.hung[i].shape);
        c.addOnWall(p.wall(), p.id, {}, Amount::of(Length::millimetres(b.centre().y)), c.band,
                    {b.centre().x, 0}, b.centre());
    }
}

void judgeStairs(const WallContext& c) {
    const Rule* centre = c.book.byId("art-centre");
    const Band band = centre != nullptr && c.judgement.choices.count(c.rule.id) == 0
                          ? artCentreBand(*centre, c.judgement)
                          : c.band;
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        const Fixture* stairs = stairsUnder(c.scene, p.wall(), b);
        if (stairs == nullptr)
            return;
        const double line = nosingAt(*stairs, b.centre().x);
        c.addOnWall(p.wall(), p.id, targetOf(*stairs),
                    Amount::of(Length::millimetres(b.centre().y - line)), band,
                    {b.centre().x, line}, b.centre());
    });
}

/// Equal steps up a stair, each against the mean of all: from middle to middle, or, where things of
/// several widths are set at one gap, from edge to edge. Things over one another are no steps.
void judgeSteps(const WallContext& c) {
    struct Step {
        int piece = 0;
        Box box;
    };
    std::map<int, std::vector<Step>> walls;
    eachPicture(c, [&](std::size_t, const Piece& p, const Box& b) {
        if (stairsUnder(c.scene, p.wall(), b) != nullptr)
            walls[p.wall()].push_back({p.id, b});
    });
    for (auto& [wall, all] : walls) {
        if (all.size() < 3)
            continue;
        std::sort(all.begin(), all.end(),
                  [](const Step& a, const Step& b) { return a.box.centre().x < b.box.centre().x; });
        std::vector<double> middles;
        std::vector<double> gaps;
        for (std::size_t i = 1; i < all.size(); ++i) {
            middles.push_back(all[i].box.centre().x - all[i - 1].box.centre().x);
            gaps.push_back(all[i].box.low.x - all[i - 1].box.high.x);
        }
        if (*std::min_element(gaps.begin(), gaps.end()) < 0)
            continue;
        const auto spread = [](const std::vector<double>& of) {
            const auto [least, most] = std::minmax_element(of.begin(), of.end());
            return *most - *least;
        };
        const auto& steps = spread(gaps) < spread(middles) ? gaps : middles;
        const double mean =
            std::accumulate(steps.begin(), steps.end(), 0.0) / static_cast<double>(steps.size());
        const double spare = c.rule.setting("spare").mm();
        for (std::size_t i = 1; i < all.size(); ++i)
            c.addOnWall(wall, all[i].piece, pieceTarget(all[i - 1].piece),
                        Amount::of(Length::millimetres(steps[i - 1])),
                        Band{mean - spare, mean + spare, {}, {}}, all[i - 1].box.centre(),
                        all[i].box.centre());
    }
}

// ---- what brings them right ----

Tie tieOf(Tie::Kind kind, Target of = {}) {
    Tie t;
    t.kind = kind;
    t.of = of;
    return t;
}

std::vector<Handle> heightHandles(const Reading& r, double target, const Project& job,
                                  const Scene& scene) {
    return {tieAt(job, scene, r.piece, tieOf(Tie::Kind::height), target)};
}

std::vector<Handle> aboveHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    return {tieAt(job, scene, r.piece, tieOf(Tie::Kind::above, r.other), target)};
}

std::vector<Handle> stairHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    const Fixture* stairs = stairsOn(*scene.room, job.scheme().byId(r.piece)->wall());
    if (stairs == nullptr)
        return {};
    return {tieAt(job, scene, r.piece, tieOf(Tie::Kind::height, targetOf(*stairs)), target)};
}

std::vector<Handle> stairStepHandles(const Reading& r, double target, const Project& job,
                                     const Scene& scene) {
    return {moveRight(job, scene, r.piece, target - r.value.value)};
}

std::vector<Handle> artWidthHandles(const Reading& r, double target, const Project& job,
                                    const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    const auto on = boxOn(r.other, p.wall(), scene);
    if (p.isGroup() || !on)
        return {};
    return {
        resize(job, scene, r.piece, SizeFigure::width, target * on->size().x, 1 / on->size().x)};
}

std::vector<Handle> sizeHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const Piece& p = *job.scheme().byId(r.piece);
    if (p.isGroup() || r.value.value <= 0)
        return {};
    // In proportion: both sides grow by the root of how much the area is to.
    return {scaled(job, scene, r.piece, std::sqrt(target / r.value.value), 2 * r.value.value)};
}

/// A group set out in a form with its gap open.
Handle setOutWith(const Project& job, const Scene& scene, int group, GroupForm form, double gap) {
    return {.edit = [&job, &scene, group, form](double x) -> Result<Edit> {
                if (x < 0)
                    return Problem{"things don't hang into each other", ""};
                return arrangeAs(job, scene, group, {form, Length::millimetres(x), 0});
            },
            .line =
                [&job, group, form](double x) {
                    return fmt::format("arrange {} as a {}, gap {}", job.scheme().byId(group)->name,
                                       groupFormName(form),
                                       writeGap(Length::millimetres(x), job.notation));
                },
            .start = gap};
}

std::vector<Handle> groupGapHandles(const Reading& r, double target, const Project& job,
                                    const Scene& scene) {
    const Piece& g = *job.scheme().byId(r.piece);
    if (g.plan.form == GroupForm::asPlaced)
        return {setOutWith(job, scene, g.id, GroupForm::grid, target),
                setOutWith(job, scene, g.id, GroupForm::salon, target)};
    return {setOutWith(job, scene, g.id, g.plan.form, target)};
}

std::vector<Handle> airHandles(const Reading& r, double target, const Project& job,
                               const Scene& scene) {
    // Away from each other: the other is to its right where the gap runs that way.
    const double by = target - r.value.value;
    const double away = r.at[1].x > r.at[0].x ? -1 : 1;
    std::vector<Handle> out{moveRight(job, scene, r.piece, away * by)};
    out.back().slope = away;
    if (r.other.is == Target::Is::piece && !job.scheme().byId(r.other.piece)->isGroup()) {
        out.push_back(moveRight(job, scene, r.other.piece, -away * by));
        out.back().slope = -away;
    }
    return out;
}

constexpr std::array<RuleCode, 11> hangingCodes{{{"art-centre", judgeCentre, heightHandles},
                                                 {"art-above", judgeAbove, aboveHandles},
                                                 {"art-width", judgeArtWidth, artWidthHandles},
                                                 {"art-shape", judgeShape, noHandles},
                                                 {"art-size", judgeSize, sizeHandles},
                                                 {"art-match", judgeMatch, noHandles},
                                                 {"group-gap", judgeGaps, groupGapHandles},
                                                 {"air-beside", judgeAir, airHandles, false, true},
                                                 {"sconce-height", judgeSconce, heightHandles},
                                                 {"stair-art", judgeStairs, stairHandles},
                                                 {"stair-steps", judgeSteps, stairStepHandles}}};

} // namespace

std::span<const RuleCode> hangingRules() {
    return hangingCodes;
}

} // namespace mezzet
