#include "judge/at_table.h"

#include "geometry/gap.h"
#include "geometry/lane.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

bool isLounge(const Piece& p) {
    return p.kind->role == Role::sofa || p.kind->role == Role::armchair;
}

bool seatedAt(const FloorView& scene, std::size_t chair, std::size_t table, Length atTable) {
    const Pose& pose = scene.placed[chair].pose;
    const Vec2 to = scene.placed[table].pose.at - pose.at;
    if (dot(to, pose.front()) <= 0 ||
        fartherThan(scene.placed[chair].shape, scene.placed[table].shape, atTable))
        return false;
    // The line through the chair's middle must meet the table.
    const Shape front = stretch(frontEdge(scene.piece(chair), pose));
    return gapBetween(front, scene.placed[table].shape).apart <= atTable &&
           firstInLane({pose.at, pose.front(), Length::millimetres(1)}, scene.placed[table].shape)
               .has_value();
}

std::optional<std::size_t> tableOf(const FloorView& scene, std::size_t chair, Length atTable) {
    std::optional<std::size_t> table;
    double nearest = 1e300;
    for (std::size_t k = 0; k < scene.placed.size(); ++k) {
        if (!scene.piece(k).kind->isSatInTo() || !seatedAt(scene, chair, k, atTable))
            continue;
        const double d = norm(scene.placed[k].pose.at - scene.placed[chair].pose.at);
        if (d < nearest) {
            nearest = d;
            table = k;
        }
    }
    return table;
}

std::optional<Vec2> tableEdge(const FloorView& scene, std::size_t chair, std::size_t table) {
    const Pose& pose = scene.placed[chair].pose;
    const Vec2 back = -pose.front();
    // Coming from behind the chair.
    const Lane axis{pose.at + back * 10000, pose.front(), Length::millimetres(0.5)};
    const auto edge = firstInLane(axis, scene.placed[table].shape);
    if (!edge)
        return {};
    return pose.at + back * dot(*edge - pose.at, back);
}

Shape inUse(const FloorView& scene, std::size_t chair, std::size_t table, Length behind) {
    Pose pose = scene.placed[chair].pose;
    const auto edge = tableEdge(scene, chair, table);
    if (!edge)
        return scene.placed[chair].shape;
    const Vec2 back = -pose.front();
    const double now = extent(scene.placed[chair].shape, back) - dot(*edge, back);
    if (now < behind.mm())
        pose.at = pose.at + back * (behind.mm() - now);
    return placed(scene.piece(chair).shape(), pose);
}

int seatsOf(const Piece& p, Length each, Length arms) {
    const auto along = [&](Length l) {
        return std::max(1, static_cast<int>(std::floor(l / each + 1e-9)));
    };
    switch (p.kind->role) {
    case Role::armchair:
    case Role::diningChair:
        return 1;
    case Role::perch:
        return along(p.size.width);
    case Role::sofa: {
        const Length inner = p.size.width - (p.heights.arm ? arms : Length{});
        if (p.footprint.form != FootprintForm::ell)
            return along(inner);
        // The arm of an L seats along its depth, less the corner that both share.
        return along(inner) + along(p.size.depth - p.footprint.bodyDepth);
    }
    default:
        return 0;
    }
}

} // namespace mezzet
