#include "light/tasks.h"

#include "measure/texts.h"
#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

namespace {

// Faces are between these, mm: common practice.
constexpr double lowFace = 1524;
constexpr double highFace = 1676;

const TaskLevel* levelFor(const TaskLevels& all, const Kind& kind) {
    for (const TaskLevel& t : all)
        if (t.of == kind.id || t.of == worded("role: {}", roleName(kind.role)))
            return &t;
    return nullptr;
}

} // namespace

std::vector<LightTask> tasksOf(const Project& job, const Scene& scene) {
    std::vector<LightTask> out;
    if (!job.library.tasks)
        return out;
    const Vec3 rising{0, 0, 1};
    for (const Piece& p : scene.scheme->pieces) {
        const TaskLevel* level = levelFor(*job.library.tasks, *p.kind);
        const auto body = bodyOf(scene, p.id);
        if (level == nullptr || !body)
            continue;
        LightTask t;
        t.piece = p.id;
        t.name = worded("{}, {}", p.name, level->task);
        t.least = level->least;
        t.most = level->most;
        t.source = level->source;
        t.facing = rising;
        const double seat = p.heights.seat.value_or(p.size.height).mm();
        const double half = p.size.depth.mm() / 2;
        switch (level->at) {
        case TaskLevel::At::top:
            t.at = body->foot + rising * p.top().mm();
            break;
        case TaskLevel::At::lap:
            t.at = body->foot + body->front * (half / 2) + rising * (seat + level->up);
            break;
        case TaskLevel::At::pillow:
            t.at = body->foot - body->front * (half - std::min(level->out, half)) +
                   rising * (seat + level->up);
            break;
        case TaskLevel::At::face: {
            const double floor = scene.room->levelAt(body->foot.plan()).mm();
            const double middle = body->foot.z + p.outlineSize().depth.mm() / 2;
            t.at = body->foot + body->front * level->out;
            t.at.z = std::clamp(middle, floor + lowFace, floor + highFace);
            t.facing = body->front * -1;
            break;
        }
        case TaskLevel::At::front:
            t.at = body->foot + body->front * half +
                   rising * ((p.onWall() ? p.outlineSize().depth : p.size.height).mm() / 2);
            t.facing = body->front;
            break;
        case TaskLevel::At::floor:
            t.at = body->foot + body->front * (half + level->out);
            break;
        }
        out.push_back(std::move(t));
    }
    return out;
}

} // namespace mezzet
