#include "edit/held_step.h"

#include "edit/landing.h"
#include "geometry/polygon.h"
#include "measure/texts.h"
#include "scheme/words.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// What would take a piece back off what it goes through.
struct PushedBack {
    Vec2 by; ///< mm, on the dragged piece's surface; nothing where only less of the step would do
    std::string stops; ///< what it goes through
};

std::vector<int> elsewhere(const Scene& was, const Scene& now) {
    std::vector<int> out;
    for (const Piece& p : now.scheme->pieces) {
        const Placed* old = was.byId(p.id);
        const Placed* there = now.byId(p.id);
        if (there != nullptr && (old == nullptr || old->pose != there->pose))
            out.push_back(p.id);
    }
    return out;
}

class Held {
public:
    Held(const Project& job, const Scene& scene, const std::vector<int>& ids, DragTies mode)
        : job_(job), scene_(scene), ids_(ids), mode_(mode) {}

    HeldStep find(Vec2 wanted) {
        HeldStep out{wanted, {}};
        constexpr int corners = 4; // walls it may meet one after the other
        for (int k = 0; k < corners; ++k) {
            const auto back = throughAt(out.step);
            if (!back && norm(out.step) <= norm(wanted) + 1e-6)
                return out;
            if (!back)
                break; // about an outside corner it was pushed farther than it was to go
            if (out.stops.empty())
                out.stops = back->stops;
            if (norm(back->by) < 1e-9)
                break;
            out.step = out.step + back->by;
        }
        // As much of the step as there is room for.
        double free = 0;
        double held = 1;
        constexpr int halvings = 9; // to a five hundredth of the step
        for (int k = 0; k < halvings; ++k) {
            const double middle = (free + held) / 2;
            (throughAt(wanted * middle) ? held : free) = middle;
        }
        out.step = wanted * free;
        return out;
    }

private:
    std::optional<PushedBack> throughAt(Vec2 step) const {
        const auto after = apply(job_, drag(job_, scene_, ids_, step, mode_).edit);
        if (!after)
            return PushedBack{};
        const Scene& now = *after->scene;
        const int id = goesThrough(*after->project, scene_, now, ids_);
        if (id == 0)
            return {};
        const Piece& p = *now.pieceById(id);
        const Placed& there = *now.byId(id);
        if (p.onWall()) {
            const double length = now.room->walls[static_cast<std::size_t>(p.wall())].length().mm();
            const double high = now.room->ceiling.mm();
            const Vec2 half{p.size.width.mm() / 2, p.size.height.mm() / 2};
            const Vec2 low = there.pose.at - half;
            const Vec2 top = there.pose.at + half;
            return PushedBack{{std::max(0.0, -low.x) - std::max(0.0, top.x - length),
                               std::max(0.0, -low.y) - std::max(0.0, top.y - high)},
                              words(wallTarget(p.wall()), job_.wording())};
        }
        const auto through = throughWall(*now.room, there.shape);
        if (through.wall < 0)
            return PushedBack{{}, builtInAt(now, id)};
        const Wall& w = now.room->walls[static_cast<std::size_t>(through.wall)];
        // Until all of it is on the room's side of that wall.
        double by = 0;
        for (const Vec2 c : outline(there.shape))
            by = std::max(by, -dot(c - w.start, w.inward()));
        return PushedBack{w.inward() * by, words(wallTarget(through.wall), job_.wording())};
    }

    const Project& job_;
    const Scene& scene_;
    const std::vector<int>& ids_;
    DragTies mode_;
};

} // namespace

int goesThrough(const Project& job, const Scene& was, const Scene& now,
                const std::vector<int>& moved) {
    for (const int id : elsewhere(was, now)) {
        const bool own = std::find(moved.begin(), moved.end(), id) != moved.end();
        if (!own && now.pieceById(id)->kind->flat())
            continue;
        if (!harmOf(job, now, {id}).empty() &&
            (was.byId(id) == nullptr || harmOf(job, was, {id}).empty()))
            return id;
    }
    return 0;
}

HeldStep heldStep(const Project& job, const Scene& scene, const std::vector<int>& ids, Vec2 wanted,
                  DragTies mode) {
    if (ids.empty() || norm(wanted) < 1e-9)
        return {wanted, {}};
    return Held(job, scene, ids, mode).find(wanted);
}

} // namespace mezzet
