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

std::vector<Lane> seatingSides(const FloorView& scene, std::size_t table, Length place,
                               Length atTable) {
    const Piece& t = scene.piece(table);
    const Pose& pose = scene.placed[table].pose;
    const Shape& shape = scene.placed[table].shape;
    std::vector<Lane> out;
    std::vector<std::size_t> chairs;
    for (std::size_t i = 0; i < scene.placed.size(); ++i)
        if (scene.piece(i).kind->role == Role::diningChair && seatedAt(scene, i, table, atTable))
            chairs.push_back(i);
    if (t.footprint.form == FootprintForm::oval) {
        const auto add = [&](Vec2 out1, Length half) {
            const Vec2 edge = support(shape, out1);
            out.push_back({edge, out1, half});
        };
        for (const auto c : chairs)
            add(-scene.placed[c].pose.front(), scene.piece(c).size.width / 2);
        if (chairs.empty())
            for (const Vec2 d : {pose.front(), -pose.front(), pose.right(), -pose.right()})
                add(d, place / 2);
        return out;
    }
    for (const Vec2 normal : {pose.front(), -pose.front(), pose.right(), -pose.right()}) {
        const bool across = std::abs(dot(normal, pose.front())) > 0.5;
        const Length length = across ? t.size.width : t.size.depth;
        const bool seated = std::any_of(chairs.begin(), chairs.end(), [&](std::size_t c) {
            return dot(-scene.placed[c].pose.front(), normal) > 0.7;
        });
        // With chairs drawn up, their sides count; without, every side long enough for one.
        if (chairs.empty() ? length + quiet < place : !seated)
            continue;
        const Vec2 edge = pose.at + normal * (extent(shape, normal) - dot(pose.at, normal));
        out.push_back({edge, normal, length / 2});
    }
    return out;
}

} // namespace mezzet
