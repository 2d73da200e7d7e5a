#include "edit/words_reader.h"
#include "geometry/gap.h"
#include "scheme/surfaces.h"

namespace mezzet {

Vec2 wayTo(const Target& t, const Placed& from, const Scene& scene) {
    const Room& room = *scene.room;
    switch (t.is) {
    case Target::Is::wall:
        return -room.walls[static_cast<std::size_t>(t.index)].inward();
    case Target::Is::piece:
        if (const Placed* there = scene.inPlan(t.piece))
            return gapBetween(from.shape, there->shape).direction;
        if (const auto body = bodyOf(scene, t.piece))
            return unit(body->foot.plan() - from.pose.at);
        break;
    case Target::Is::chimney:
    case Target::Is::fixture:
        return gapBetween(from.shape, solid(room, *fixtureOf(room, t))).direction;
    case Target::Is::door:
        for (const auto& o : room.openings)
            if (o.kind == OpeningKind::door && o.number == t.index)
                if (const auto swing = doorSwing(room, o))
                    return gapBetween(from.shape, *swing).direction;
        break;
    case Target::Is::none:
    case Target::Is::corner:
    case Target::Is::window:
    case Target::Is::opening:
    case Target::Is::room:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    }
    return unit(middleOf(t, scene) - from.pose.at);
}

} // namespace mezzet
