// The places that ties are measured to.
#include "geometry/gap.h"
#include "scheme/faces.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

namespace mezzet {

using namespace faces;

Length baseOf(const FloorView& scene, std::size_t i) {
    Length base;
    if (scene.piece(i).on.isCarried())
        if (const auto body = bodyOf(scene, scene.placed[i].id))
            return Length::millimetres(body->foot.z) - scene.room->levelAt(scene.placed[i].pose.at);
    if (!scene.piece(i).kind->standsOn())
        return base;
    for (std::size_t k = 0; k < scene.placed.size(); ++k)
        if (k != i && scene.piece(k).kind->takesFloor() &&
            gapBetween(scene.placed[i].shape, scene.placed[k].shape).depth > Length{})
            base = std::max(base, scene.piece(k).top());
    return base;
}

Segment frontEdge(const Piece& p, const Pose& pose) {
    const double w = p.size.width.mm() / 2;
    const double d = p.size.depth.mm() / 2;
    if (p.footprint.form != FootprintForm::ell)
        return {pose.toRoom({-w, d}), pose.toRoom({w, d})};
    const double y = -d + p.footprint.bodyDepth.mm();
    const double arm = p.footprint.armWidth.mm();
    return p.footprint.armOnRight ? Segment{pose.toRoom({-w, y}), pose.toRoom({w - arm, y})}
                                  : Segment{pose.toRoom({-w + arm, y}), pose.toRoom({w, y})};
}

Vec2 frontMiddle(const Piece& p, const Pose& pose) {
    const auto e = frontEdge(p, pose);
    return (e.from + e.to) / 2;
}

std::optional<Segment> hungStretch(const Target& t, const Scene& scene) {
    const Piece* p = t.is == Target::Is::piece ? scene.pieceById(t.piece) : nullptr;
    const Placed* there = p != nullptr && p->onWall() ? scene.byId(t.piece) : nullptr;
    if (there == nullptr)
        return {};
    const Wall& w = wallOf(*scene.room, p->wall());
    const Length middle = Length::millimetres(there->pose.at.x);
    const Length half = p->size.width / 2;
    return Segment{w.at(middle - half), w.at(middle + half)};
}

Vec2 middleOf(const Target& t, const Scene& scene) {
    switch (t.is) {
    case Target::Is::piece: {
        if (const auto hung = hungStretch(t, scene))
            return (hung->from + hung->to) / 2;
        const Placed* there = scene.inPlan(t.piece);
        return there != nullptr ? there->pose.at : Vec2{};
    }
    case Target::Is::corner:
        return wallOf(*scene.room, t.index).start;
    case Target::Is::room:
        return scene.room->bounds().centre();
    case Target::Is::none:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        return {};
    case Target::Is::wall:
    case Target::Is::window:
    case Target::Is::door:
    case Target::Is::opening:
    case Target::Is::chimney:
    case Target::Is::fixture: {
        const auto f = faceOf(t, *scene.room);
        return (f.left + f.right) / 2;
    }
    }
    return {};
}

} // namespace mezzet
