// How furniture measures against the room: scale.
#include "geometry/polygon.h"
#include "judge/rule_code.h"
#include "judge/zones.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

void judgeScale(const FloorContext& c) {
    const Room& room = *c.scene.room;
    const Length behind = c.rule.setting("behind");
    for (std::size_t i = 0; i < c.scene.placed.size(); ++i) {
        const Piece& p = c.scene.piece(i);
        if (p.kind->role != Role::sofa)
            continue;
        const Pose& pose = c.scene.placed[i].pose;
        const Vec2 back = pose.toRoom({0, -p.size.depth.mm() / 2});
        std::optional<std::size_t> best;
        double near = behind.mm();
        for (std::size_t k = 0; k < room.walls.size(); ++k) {
            const Wall& w = room.walls[k];
            const double off = dot(back - w.start, w.inward());
            const double s = dot(back - w.start, w.along());
            if (dot(w.inward(), pose.front()) > 0.98 && off > -25 && off < near && s > 0 &&
                s < w.length().mm()) {
                near = off;
                best = k;
            }
        }
        if (!best)
            continue;
        const Vec2 half = pose.right() * (p.size.width.mm() / 2);
        c.add(p.id, wallTarget(static_cast<int>(*best)),
              Amount::ratio(p.size.width / room.walls[*best].length()), back - half, back + half);
    }
    const double floor = room.floorArea();
    if (floor <= 0 || c.scene.placed.empty())
        return;
    const double taken = floorTaken(*c.scene.scheme);
    Band band;
    band.high = c.rule.number("of the floor");
    c.add(0, roomTarget(), Amount::ratio(taken / floor), band, room.middle(), room.middle());
}

std::vector<Handle> scaleHandles(const Reading& r, double target, const Project& job,
                                 const Scene& scene) {
    if (r.piece == 0)
        return {};
    const double wall = job.room->walls[static_cast<std::size_t>(r.other.index)].length().mm();
    return {resize(job, scene, r.piece, SizeFigure::width, target * wall, 1 / wall)};
}

constexpr std::array<RuleCode, 1> measureOfRoomCodes{{{"scale", judgeScale, scaleHandles}}};

} // namespace

std::span<const RuleCode> roomRules() {
    return measureOfRoomCodes;
}

} // namespace mezzet
