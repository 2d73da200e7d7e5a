#include "light/lamps.h"

#include "scheme/surfaces.h"

#include <algorithm>

namespace mezzet {

namespace {

/// Where its aim is: down, or toward what it is told to be turned to.
std::optional<Vec3> aimOf(const Scene& scene, const Piece& p, Vec3 from) {
    if (!p.light || !p.light->aim)
        return {};
    const Target& t = *p.light->aim;
    if (t.is == Target::Is::piece) {
        const Piece* other = scene.pieceById(t.piece);
        const auto body = bodyOf(scene, t.piece);
        if (other == nullptr || !body)
            return {};
        // At what hangs, its middle; at what stands, its top.
        const double up = other->onWall() ? other->outlineSize().depth.mm() / 2 : other->top().mm();
        return unit(body->foot + Vec3{0, 0, up} - from);
    }
    if (t.is == Target::Is::wall && t.index < static_cast<int>(scene.room->walls.size())) {
        const Wall& w = scene.room->walls[static_cast<std::size_t>(t.index)];
        const double along = dot(from.plan() - w.start, w.along());
        constexpr double eyes = 1524; // mm, where pictures hang
        return unit(lifted(w.start + w.along() * along, eyes) - from);
    }
    return {};
}

} // namespace

double levelOf(const LightPlan& plan, const LightScene* scene, int light) {
    if (scene == nullptr)
        return 1;
    const LightZone* zone = plan.zoneOf(light);
    if (zone == nullptr)
        return 0;
    for (const LightScene::Level& l : scene->levels)
        if (plainWord(l.zone) == plainWord(zone->name))
            return l.part;
    return 0;
}

Length dropOf(const Piece& p, const Placed& where) {
    return p.kind->light && p.kind->light->cutOut > Length{} ? where.off
                                                             : where.off + p.size.height;
}

Length cordOf(const Piece& p, const Placed& where) {
    if (!p.light || !p.light->wire)
        return where.off;
    constexpr double sag = 1.0 / 8; // of the span
    const double slant = std::sqrt(1 + 16 * sag * sag);
    const double longer = slant / 2 + std::log(4 * sag + slant) / (8 * sag);
    return where.off + Length::millimetres(norm(*p.light->wire - where.pose.at) * longer);
}

Shining shiningOf(const Project& job, const Piece& p) {
    Shining out;
    if (!p.kind->light)
        return out;
    const LightSource& kind = *p.kind->light;
    out.watts = kind.watts;
    double wanted = kind.lumens;
    const LightTold* told = p.light.get();
    if (told != nullptr && !told->shine.empty() && job.photometries)
        if (const auto it = job.photometries->find(told->shine); it != job.photometries->end()) {
            // A file's candela are used as they stand.
            out.shines = it->second.shines;
            out.watts = out.shines->watts > 0 ? out.shines->watts : out.watts;
            wanted = out.shines->lumens();
        }
    if (!out.shines && job.library.shines)
        if (const auto it = job.library.shines->find(kind.shine); it != job.library.shines->end())
            out.shines = it->second;
    if (!out.shines)
        return out;
    if (told != nullptr && told->lumens)
        wanted = *told->lumens;
    if (told != nullptr && told->watts)
        out.watts = *told->watts;
    const double own = out.shines->lumens();
    out.factor = own > 0 ? wanted / own : 0;
    out.lumens = wanted;
    return out;
}

std::vector<Lamp> lampsOf(const Project& job, const Scene& scene, const LightScene* light) {
    std::vector<Lamp> out;
    const LightPlan& plan = scene.scheme->light;
    for (const Piece& p : scene.scheme->pieces) {
        const auto body = p.kind->light ? bodyOf(scene, p.id) : std::nullopt;
        if (!body)
            continue;
        const Shining is = shiningOf(job, p);
        if (!is.shines)
            continue;
        const LightSource& kind = *p.kind->light;
        Lamp lamp;
        lamp.piece = p.id;
        const bool letIn = kind.cutOut > Length{};
        const Placed& where = *scene.byId(p.id);
        const double share = kind.lamp / p.kind->size.height;
        const double up = letIn ? p.size.height.mm() : p.size.height.mm() * share;
        lamp.at = body->foot + Vec3{0, 0, up};
        lamp.x = body->right;
        lamp.y = body->front;
        lamp.z = {0, 0, -1};
        if (const auto aim = aimOf(scene, p, lamp.at)) {
            lamp.z = *aim;
            // H 0 stays as level as it can.
            const Vec3 level = lamp.x - lamp.z * dot(lamp.x, lamp.z);
            lamp.x = norm(level) > 1e-6 ? unit(level) : across(lamp.z).u;
            lamp.y = cross(lamp.x, lamp.z);
        }
        const double level = levelOf(plan, light, p.id) * plan.maintained;
        lamp.shines = is.shines;
        lamp.factor = is.factor * level;
        lamp.lumens = is.lumens * level;
        lamp.watts = is.watts;
        if (p.on.isCeiling())
            lamp.drop = dropOf(p, where).mm();
        lamp.length = is.shines->length;
        lamp.width = is.shines->width;
        lamp.round = is.shines->round;
        // A long fixture shines along all of its length.
        constexpr double longer = 3;
        if (lamp.length <= 0 && lamp.width <= 0 && p.size.width > longer * p.size.depth)
            lamp.length = p.size.width.mm();
        if (const LightZone* zone = plan.zoneOf(p.id))
            lamp.zone = zone->name;
        out.push_back(std::move(lamp));
    }
    return out;
}

} // namespace mezzet
