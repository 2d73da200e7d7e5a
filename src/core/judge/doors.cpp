// Door leaves against what stands or lies in their way: door-swing.
#include "geometry/gap.h"
#include "judge/rule_code.h"

#include <array>

namespace mezzet {

namespace {

void judgeSwing(const JudgeContext& c) {
    const Room& room = *c.scene.room;
    const Length look = c.rule.setting("look");
    for (std::size_t d = 0; d < room.openings.size(); ++d) {
        const Opening& door = room.openings[d];
        const auto swing = doorSwing(room, door);
        if (!swing)
            continue;
        for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
            const Piece& p = c.scene.piece(i);
            const Placed& where = c.scene.placed[i];
            if (fartherThan(*swing, where.shape, look))
                continue;
            const Gap g = gapBetween(where.shape, *swing);
            if (!p.kind->flat()) {
                if (g.apart > look)
                    continue;
                auto& r = c.add(p.id, targetOf(door), Amount::of(g.clear()), g.onFirst, g.onSecond);
                if (r.verdict == Verdict::tight)
                    r.verdict = Verdict::clash;
                continue;
            }
            if (g.depth <= Length::millimetres(0.01))
                continue;
            // A rug under the leaf: thinner than the undercut, which has to be known.
            Band band;
            if (door.undercut)
                band.high = door.undercut->mm();
            Reading& r =
                c.add(p.id, targetOf(door), Amount::of(p.size.height), g.onFirst, g.onSecond);
            r.band = band;
            r.verdict = !door.undercut ? Verdict::note
                        : p.size.height >= *door.undercut - Length::millimetres(0.005)
                            ? Verdict::loose
                            : Verdict::right;
        }
    }
}

std::vector<Handle> swingHandles(const Reading& r, double target, const Project& job,
                                 const Scene&) {
    const Piece& p = *job.scheme().byId(r.piece);
    if (p.kind->flat())
        return {resize(job, r.piece, SizeFigure::height, target, 1),
                moveAway(job, r.piece, r.other, p.size.width.mm() / 4)};
    return {moveAway(job, r.piece, r.other, target - r.value.value)};
}

constexpr std::array<RuleCode, 1> codes{{{"door-swing", judgeSwing, swingHandles}}};

} // namespace

std::span<const RuleCode> doorRules() {
    return codes;
}

} // namespace mezzet
