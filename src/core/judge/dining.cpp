// Tables people sit in to: dining-to-wall, chair-pull-out, diner-width.
#include "geometry/gap.h"
#include "geometry/lane.h"
#include "judge/ahead.h"
#include "judge/at_table.h"
#include "judge/rule_code.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

void judgeWall(const FloorContext& c) {
    const Length look = c.rule.setting("look");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& table = c.scene.piece(i);
        if (table.kind->role != Role::diningTable)
            continue;
        std::vector<std::pair<Stop, Vec2>> found;
        for (const Lane& side :
             seatingSides(c.scene, i, c.rule.setting("place"), c.rule.setting("at table"))) {
            const auto stop = firstAhead(c.scene, side, look, [&](std::size_t k) {
                const Piece& p = c.scene.piece(k);
                return k != i && !p.kind->flat() && p.size.height > table.size.height + quiet &&
                       p.kind->role != Role::diningChair;
            });
            if (!stop)
                continue;
            // Seen where it is: level with the nearest point.
            const Vec2 edge = stop->at - side.along * stop->ahead;
            const auto same = std::find_if(found.begin(), found.end(), [&](const auto& f) {
                return f.first.what == stop->what;
            });
            if (same == found.end())
                found.emplace_back(*stop, edge);
            else if (stop->ahead < same->first.ahead)
                *same = {*stop, edge};
        }
        for (const auto& [stop, edge] : found)
            if (Reading& r =
                    c.add(table.id, stop.what, Amount{Quantity::length, stop.ahead}, edge, stop.at);
                r.toMend() && table.footprint.form == FootprintForm::oval)
                r.instead = "round";
    }
}

void judgePullOut(const FloorContext& c) {
    const Length look = c.rule.setting("look");
    const Length atTable = c.rule.setting("at table");
    const Room& room = *c.scene.room;
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        if (c.scene.piece(i).kind->role != Role::diningChair)
            continue;
        const Pose& pose = c.scene.placed[i].pose;
        const auto table = tableOf(c.scene, i, atTable);
        const auto edge = table ? tableEdge(c.scene, i, *table) : std::nullopt;
        if (!edge)
            continue;
        const Vec2 back = -pose.front();
        const Vec2 onAxis = *edge;
        const Lane lane{onAxis, back, c.scene.piece(i).size.width / 2};
        auto stop = firstAhead(c.scene, lane, look, [&](std::size_t k) {
            return k != i && k != *table && !c.scene.piece(k).kind->flat();
        });
        for (const auto& o : room.openings) {
            if (const auto swing = doorSwing(room, o)) {
                Stop::offer(stop, lane, look, targetOf(o), *swing);
            }
        }
        if (!stop)
            continue;
        c.add(c.scene.placed[i].id, stop->what, Amount{Quantity::length, stop->ahead},
              stop->at - back * stop->ahead, stop->at)
            .also = c.scene.placed[*table].id;
    }
}

std::vector<Handle> wallHandles(const Reading& r, double target, const Project& job,
                                const Scene& scene) {
    const double by = target - r.value.value;
    std::vector<Handle> out{moveAway(job, scene, r.piece, r.other, by)};
    if (r.other.is == Target::Is::piece)
        out.push_back(moveAway(job, scene, r.other.piece, pieceTarget(r.piece), by));
    return out;
}

std::vector<Handle> pullOutHandles(const Reading& r, double target, const Project& job,
                                   const Scene& scene) {
    const double by = target - r.value.value;
    std::vector<Handle> out{moveAway(job, scene, r.also, r.other, by)};
    if (r.other.is == Target::Is::piece)
        out.push_back(moveAway(job, scene, r.other.piece, pieceTarget(r.piece), by));
    return out;
}

/// Table edge for each diner: on the fullest side of a table with sides, else of the whole edge.
void judgeWidth(const FloorContext& c) {
    const Length atTable = c.shared.setting("chair-pull-out", "at table");
    for (std::size_t t = 0; t < c.scene.placed.size(); ++t) {
        const Piece& table = c.scene.piece(t);
        if (table.kind->role != Role::diningTable)
            continue;
        const Pose& pose = c.scene.placed[t].pose;
        std::array<int, 4> at{};
        for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
            if (c.scene.piece(i).kind->role != Role::diningChair ||
                tableOf(c.scene, i, atTable) != t)
                continue;
            const Vec2 out = -c.scene.placed[i].pose.front();
            const std::array<Vec2, 4> normals{pose.front(), -pose.right(), -pose.front(),
                                              pose.right()};
            std::size_t side = 0;
            for (std::size_t s = 1; s < 4; ++s)
                if (dot(out, normals[s]) > dot(out, normals[side]))
                    side = s;
            ++at[side];
        }
        const int all = at[0] + at[1] + at[2] + at[3];
        if (all == 0)
            continue;
        const double w = table.size.width.mm();
        const double d = table.size.depth.mm();
        if (table.footprint.form == FootprintForm::oval) {
            const Vec2 front = pose.toRoom({0, d / 2});
            c.add(table.id, {}, Amount{Quantity::length, ellipsePerimeter(w / 2, d / 2) / all},
                  front, front);
            continue;
        }
        double least = 1e300;
        std::size_t fullest = 0;
        for (std::size_t s = 0; s < 4; ++s) {
            const double each = at[s] > 0 ? (s % 2 == 0 ? w : d) / at[s] : 1e300;
            if (each < least - 1e-9) {
                least = each;
                fullest = s;
            }
        }
        const std::array<Vec2, 4> corners{pose.toRoom({w / 2, d / 2}), pose.toRoom({-w / 2, d / 2}),
                                          pose.toRoom({-w / 2, -d / 2}),
                                          pose.toRoom({w / 2, -d / 2})};
        c.add(table.id, {}, Amount{Quantity::length, least}, corners[fullest],
              corners[(fullest + 1) % 4]);
    }
}

/// A longer table, or one chair fewer.
std::vector<Handle> widthHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    const Piece& t = *job.scheme().byId(r.piece);
    const double k = target / r.value.value;
    std::vector<Handle> out;
    out.push_back(resize(job, scene, r.piece, SizeFigure::width, t.size.width.mm() * k,
                         r.value.value / t.size.width.mm()));
    out.push_back(resize(job, scene, r.piece, SizeFigure::depth, t.size.depth.mm() * k,
                         r.value.value / t.size.depth.mm()));
    return out;
}

constexpr std::array<RuleCode, 3> diningCodes{
    {{"dining-to-wall", judgeWall, wallHandles, false, true},
     {"chair-pull-out", judgePullOut, pullOutHandles, false, true},
     {"diner-width", judgeWidth, widthHandles}}};

} // namespace

std::span<const RuleCode> diningRules() {
    return diningCodes;
}

} // namespace mezzet
