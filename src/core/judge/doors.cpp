// Door leaves against what stands or lies in their way: door-swing.
#include "geometry/gap.h"
#include "judge/rule_code.h"

#include <array>

namespace mezzet {

namespace {

void judgeSwing(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const Length look = c.rule.setting("look");
    for (std::size_t d = 0; d < room.openings.size(); ++d) {
        const Opening& door = room.openings[d];
        const auto swing = doorSwing(room, door);
        if (!swing)
            continue;
        // Leaf to leaf.
        for (std::size_t e = 0; e < d; ++e) {
            const auto other = doorSwing(room, room.openings[e]);
            if (!other || fartherThan(*swing, *other, look))
                continue;
            const Gap g = gapBetween(*swing, *other);
            if (g.apart > look)
                continue;
            Reading& r = c.add(0, targetOf(door), Amount::of(g.clear()), g.onFirst, g.onSecond);
            r.from = targetOf(room.openings[e]);
            r.part = static_cast<int>(e) + 1;
            if (r.verdict == Verdict::tight) {
                r.verdict = Verdict::clash;
                r.instead = "leaves";
            }
        }
        for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
            const Piece& p = c.scene.piece(i);
            const Placed& where = c.scene.placed[i];
            if (fartherThan(*swing, where.shape, look))
                continue;
            // What stands on a piece is out of the way when that is; of rugs see rug-door.
            if (p.kind->flat() || p.on.isCarried())
                continue;
            const Gap g = gapBetween(where.shape, *swing);
            if (g.apart > look)
                continue;
            auto& r = c.add(p.id, targetOf(door), Amount::of(g.clear()), g.onFirst, g.onSecond);
            if (r.verdict == Verdict::tight)
                r.verdict = Verdict::clash;
        }
    }
}

int wallOfDoor(const Room& room, const Target& door) {
    for (const Opening& o : room.openings)
        if (targetOf(o) == door)
            return o.wall;
    return -1;
}

std::vector<Handle> swingHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    if (r.piece == 0)
        return {}; // two leaves are as the doors are
    // Straight away from it, or aside along the room.
    const double by = target - r.value.value;
    std::vector<Handle> out{moveAway(job, scene, r.piece, r.other, by)};
    for (std::size_t w = 0; w < job.room->walls.size(); ++w)
        if (static_cast<int>(w) != wallOfDoor(*job.room, r.other)) {
            auto aside = moveAway(job, scene, r.piece, wallTarget(static_cast<int>(w)), -by);
            aside.slope = -1;
            out.push_back(std::move(aside));
        }
    return out;
}

constexpr std::array<RuleCode, 1> doorsCodes{{{"door-swing", judgeSwing, swingHandles}}};

} // namespace

std::span<const RuleCode> doorRules() {
    return doorsCodes;
}

} // namespace mezzet
