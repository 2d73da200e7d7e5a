#include "edit/landing.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace mezzet {

namespace {

constexpr double touching = 0.5; // mm: less is no overlap

/// The floor before a door that has to stay free.
Shape beforeDoor(const Room& room, const Opening& o) {
    const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
    const double deep = std::min(o.width.mm(), 800.0);
    Piece p;
    p.size = {o.width, Length::millimetres(deep), {}};
    return placed(p.shape(),
                  {w.start + w.along() * (o.left + o.width / 2).mm() + w.inward() * (deep / 2),
                   directionOf(w.along())});
}

bool drawnUnder(const Piece& a, const Piece& b) {
    return fitsUnder(a, b) || fitsUnder(b, a);
}

/// What is built into the room where a shape is; empty for nothing.
std::string inBuilt(const Scene& scene, const Shape& s) {
    for (const Fixture& f : scene.room->fixtures)
        if (f.takesFloor() && gapBetween(s, solid(*scene.room, f)).depth.mm() > touching)
            return worded("the {}", fixtureName(f.kind));
    return {};
}

/// What a piece on the floor stands in; empty for nothing.
std::string standsIn(const Scene& scene, const Piece& p, const Shape& s, bool underTables) {
    if (auto built = inBuilt(scene, s); !built.empty())
        return built;
    const FloorView floor(scene);
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& other = floor.piece(i);
        if (other.id == p.id || other.kind->flat() != p.kind->flat() || other.on.isCarried() ||
            (underTables && drawnUnder(p, other)) || fartherThan(s, floor.placed[i].shape, {}))
            continue;
        // A rug may lie on another.
        if (!p.kind->flat() && gapBetween(s, floor.placed[i].shape).depth.mm() > touching)
            return other.name;
    }
    return {};
}

/// What something on a wall hangs over; empty for nothing.
std::string hangsOver(const Scene& scene, const Piece& p, const Box& b) {
    const auto over = [&](const Box& c) {
        return std::min(b.high.x, c.high.x) - std::max(b.low.x, c.low.x) > touching &&
               std::min(b.high.y, c.high.y) - std::max(b.low.y, c.low.y) > touching;
    };
    const bool curtain = p.kind->role == Role::curtain;
    for (const Opening& o : scene.room->openings)
        if (o.wall == p.wall() && !curtain)
            if (const auto c = boxOn(targetOf(o), p.wall(), scene); c && over(*c))
                return o.name();
    for (const Piece& o : scene.scheme->pieces) {
        // What leans stands before what leans, and before what hangs.
        if (o.id == p.id || o.isGroup() || o.group() == p.id ||
            (o.onWall() && p.hanging.mount == Mount::leaned) ||
            (p.group() != 0 && p.group() == o.group()))
            continue;
        const bool same = o.onWall() && o.wall() == p.wall();
        // Before the wall: what is taller than its foot.
        const bool before =
            o.on.isFloor() && !o.kind->flat() && wallBehind(scene, o.id) == p.wall();
        if ((!same && !before) || curtain || o.kind->role == Role::curtain)
            continue;
        if (const auto c = boxOn(pieceTarget(o.id), p.wall(), scene); c && over(*c))
            return o.name;
    }
    return {};
}

Box boxAt(const Piece& p, Vec2 at) {
    const Vec2 half{p.size.width.mm() / 2, p.size.height.mm() / 2};
    return {at - half, at + half};
}

} // namespace

Through throughWall(const Room& room, const Shape& s) {
    Through out;
    if (!room.closed)
        return out;
    out.beyond = !insideOutline(room.edge, s.centre);
    for (const Vec2 c : outline(s)) {
        if (insideOutline(room.edge, c))
            continue;
        double near = 1e300;
        int wall = -1;
        for (std::size_t i = 0; i < room.stretches(); ++i) {
            const Wall w = room.stretchAt(i);
            if (const double d = norm(c - nearestOn({w.start, w.end}, c)); d < near) {
                near = d;
                wall = room.edgeWall[i];
            }
        }
        if (near > out.by)
            out = {near, wall, out.beyond};
    }
    return out;
}

bool insideRoom(const Scene& scene, const Shape& s) {
    const auto through = throughWall(*scene.room, s);
    return !through.beyond && through.by <= touching;
}

bool clearAtTable(const Scene& scene, const Piece& chair, const Pose& pose) {
    const Shape s = placed(chair.shape(), pose);
    return insideRoom(scene, s) && standsIn(scene, chair, s, true).empty();
}

bool clearOf(const Scene& scene, const Piece& p, const Pose& pose, bool doors) {
    const Shape s = placed(p.shape(), pose);
    if (!insideRoom(scene, s) || !standsIn(scene, p, s, false).empty())
        return false;
    if (doors && !p.kind->flat())
        for (const Opening& o : scene.room->openings)
            if (o.kind != OpeningKind::window) {
                const auto swing = doorSwing(*scene.room, o);
                if (gapBetween(s, beforeDoor(*scene.room, o)).depth.mm() > touching ||
                    (swing && gapBetween(s, *swing).depth.mm() > touching))
                    return false;
            }
    return true;
}

bool clearOnWall(const Scene& scene, const Piece& p, Vec2 at) {
    const Wall& w = scene.room->walls[static_cast<std::size_t>(p.wall())];
    const Box b = boxAt(p, at);
    return b.low.x > -touching && b.high.x < w.length().mm() + touching && b.low.y > -touching &&
           b.high.y < scene.room->ceiling.mm() + touching && hangsOver(scene, p, b).empty();
}

std::vector<int> comeToHarm(const Project& before, const Applied& after) {
    std::vector<int> out;
    ScenePtr was;
    for (const Piece& p : after.project->scheme().pieces) {
        if (before.scheme().byId(p.id) == nullptr ||
            harmOf(*after.project, *after.scene, {p.id}).empty())
            continue;
        if (!was) {
            const auto scene = sceneOf(before);
            if (!scene)
                return {};
            was = *scene;
        }
        if (harmOf(before, *was, {p.id}).empty())
            out.push_back(p.id);
    }
    return out;
}

Length alongside(const Scene& scene, const Piece& other, const Piece& own) {
    const Length usual =
        other.kind->role == Role::bed ? (own.size.depth - other.size.depth) / 2 : Length{};
    const Placed* there = other.on.isFloor() ? scene.fromAbove(other.id) : nullptr;
    const auto wall = there != nullptr ? wallBehind(scene, other.id) : std::nullopt;
    if (!wall)
        return usual;
    const Wall& w = scene.room->walls[static_cast<std::size_t>(*wall)];
    constexpr double square = 0.999;
    if (dot(there->pose.front(), w.inward()) < square)
        return usual;
    const Length middle = Length::millimetres(dot(there->pose.at - w.start, w.inward()));
    // What is kept along walls has its back in line with it there.
    constexpr double near = 150;
    const Length behind = middle - other.size.depth / 2;
    if (own.kind->family == Family::storage && own.kind->takesFloor() && behind.mm() < near)
        return (own.size.depth - other.size.depth) / 2;
    const Length back = middle + usual - own.size.depth / 2;
    return back < Length{} ? usual - back : usual;
}

namespace {

/// How far along a way a piece on the floor would go to touch what stands there, or an end of the
/// room, nearest first, mm: where it only just fits no step of a search meets the place.
std::vector<double> touchingStops(const Scene& scene, const Piece& p, const Pose& pose, Vec2 way) {
    const Shape own = placed(p.shape(), pose);
    const double high = extent(own, way);
    const double low = -extent(own, -way);
    std::vector<double> out;
    const auto touch = [&](double from, double to) {
        out.push_back(to - low);
        out.push_back(from - high);
    };
    for (const Fixture& f : scene.room->fixtures)
        if (f.takesFloor()) {
            const Shape s = solid(*scene.room, f);
            touch(-extent(s, -way), extent(s, way));
        }
    for (const Placed& other : scene.floor.placed)
        if (other.id != p.id)
            touch(-extent(other.shape, -way), extent(other.shape, way));
    for (std::size_t i = 0; scene.room->closed && i < scene.room->stretches(); ++i) {
        const double at = dot(scene.room->stretchAt(i).start, way);
        touch(at, at);
    }
    std::sort(out.begin(), out.end(), [](double a, double b) { return std::abs(a) < std::abs(b); });
    return out;
}

} // namespace

Edit landed(const Project& job, Edit edit) {
    if (edit.acts.empty())
        return edit;
    auto* put = std::get_if<PutPiece>(&edit.acts.front());
    if (put == nullptr || put->piece.id != 0 || put->piece.on.isCarried() ||
        put->piece.on.isCeiling() || put->piece.isGroup())
        return edit;
    struct There {
        ScenePtr scene;
        const Piece* piece = nullptr;
        Pose pose;
    };
    ProjectPtr kept; // what the piece is of
    const auto at = [&](Vec2 begin) -> std::optional<There> {
        put->piece.pose.at = begin;
        const auto after = apply(job, edit);
        if (!after)
            return {};
        kept = after->project;
        const Piece* now = after->project->scheme().byName(put->piece.name);
        if (now == nullptr)
            return {};
        return There{after->scene, now, after->scene->byId(now->id)->pose};
    };
    const Vec2 begin = put->piece.pose.at;
    const auto first = at(begin);
    if (!first)
        return edit;
    const bool hangs = first->piece->onWall();
    const auto fine = [&](const There& t, const Pose& pose, bool doors) {
        return hangs ? clearOnWall(*t.scene, *t.piece, pose.at)
                     : clearOf(*t.scene, *t.piece, pose, doors);
    };
    if (fine(*first, first->pose, !hangs))
        return edit;
    const ProjectPtr firstJob = kept; // what `first` points into
    // Which ways it is free to go: those in which it follows where it begins.
    constexpr double probe = 100; // mm
    std::vector<Vec2> ways;
    for (const Vec2 d : {Vec2{1, 0}, Vec2{0, 1}})
        if (const auto moved = at(begin + d * probe))
            if (const Vec2 by = moved->pose.at - first->pose.at; norm(by) > probe / 10)
                ways.push_back(by / probe);
    if (hangs)
        std::erase_if(ways, [](Vec2 w) { return std::abs(w.y) > 0.01; });
    if (ways.size() == 2 && std::abs(cross(unit(ways[0]), unit(ways[1]))) < 0.1)
        ways.pop_back();
    std::vector<Vec2> tried; // steps of the place it begins at
    const double far = norm(job.room->bounds().size());
    constexpr double step = 50.8;
    if (ways.size() == 1) {
        for (double t = step; t < far; t += step)
            for (const double sign : {1.0, -1.0})
                tried.push_back(unit(ways[0]) * (sign * t));
        if (!hangs)
            for (const double t :
                 touchingStops(*first->scene, *first->piece, first->pose, unit(ways[0])))
                tried.push_back(unit(ways[0]) * t);
    } else if (ways.size() == 2) {
        for (double r = 2 * step; r < far; r += 2 * step)
            for (int k = 0; k < 16; ++k) {
                const double a = 2 * std::numbers::pi * k / 16;
                tried.push_back(Vec2{std::cos(a), std::sin(a)} * r);
            }
    }
    for (const bool doors : {true, false}) {
        for (const Vec2 by : tried) {
            if (!fine(*first, {first->pose.at + by, first->pose.turn}, doors))
                continue;
            // As it really comes out, since it may turn on the way.
            const auto there = at(begin + by);
            if (there && fine(*there, there->pose, doors))
                return edit;
        }
        if (hangs)
            break;
    }
    put->piece.pose.at = begin;
    return edit;
}

std::optional<Vec2> freeStep(const Scene& scene, const std::vector<Piece>& pieces) {
    const bool hang =
        std::any_of(pieces.begin(), pieces.end(), [](const Piece& p) { return p.onWall(); });
    const auto clear = [&](Vec2 step) {
        return std::all_of(pieces.begin(), pieces.end(), [&](const Piece& p) {
            if (p.isGroup() || p.on.isCarried() || p.on.isCeiling())
                return true;
            return p.onWall() ? clearOnWall(scene, p, p.pose.at + step)
                              : clearOf(scene, p, {p.pose.at + step, p.pose.turn});
        });
    };
    if (clear({}))
        return Vec2{};
    const double far = norm(scene.room->bounds().size());
    constexpr double by = 101.6;
    for (double r = by; r < far; r += by) {
        constexpr int around = 24;
        for (int k = 0; k < (hang ? 2 : around); ++k) {
            const double a = 2 * std::numbers::pi * k / (hang ? 2 : around);
            // On a wall the height stays.
            const Vec2 step = hang ? Vec2{std::cos(a) * r, 0} : Vec2{std::cos(a), std::sin(a)} * r;
            if (clear(step))
                return step;
        }
    }
    return {};
}

std::string harmOf(const Project& job, const Scene& scene, const std::vector<int>& ids) {
    for (const int id : ids) {
        const Piece* p = scene.pieceById(id);
        const Placed* there = scene.byId(id);
        if (p == nullptr || there == nullptr || p->isGroup() || p->on.isCarried())
            continue;
        if (p->onWall()) {
            const Wall& w = scene.room->walls[static_cast<std::size_t>(p->wall())];
            const Box b = boxAt(*p, there->pose.at);
            if (b.high.y > scene.room->ceiling.mm() + touching)
                return worded("{} would reach through the ceiling", p->name);
            if (b.low.y < -touching)
                return worded("{} would reach through the floor", p->name);
            if (b.low.x < -touching || b.high.x > w.length().mm() + touching)
                return worded("{} would reach past the end of {}", p->name,
                              words(wallTarget(p->wall()), job.wording()));
            continue;
        }
        if (isCut(*p)) {
            if (const auto out = outOfRoom(*scene.room, trueOutline(*p, there->pose));
                out && out->by > touching)
                return worded("{} would go through {}, {} of it", p->name,
                              words(wallTarget(out->wall), job.wording()),
                              writeGap(Length::millimetres(out->by), job.notation));
            continue;
        }
        if (rugOf(*p).stairs > 0)
            continue;
        const auto through = throughWall(*scene.room, there->shape);
        if (through.beyond || through.by > touching)
            return worded("{} would go {} {}, {} of it", p->name,
                          through.beyond ? "beyond" : "through",
                          words(wallTarget(std::max(through.wall, 0)), job.wording()),
                          writeGap(Length::millimetres(through.by), job.notation));
        if (p->on.isCeiling()) {
            if (bottomOf(scene, *p, *there).mm() < -touching)
                return worded("{} would hang through the floor", p->name);
            continue;
        }
        if (p->size.height.mm() > scene.room->ceiling.mm() + touching)
            return worded("{} is {} high, and the ceiling {}", p->name,
                          writeGap(p->size.height, job.notation),
                          writeGap(scene.room->ceiling, job.notation));
        if (const auto in = inBuilt(scene, there->shape); !in.empty())
            return worded("{} would stand in {}", p->name, in);
    }
    return {};
}

std::string builtInAt(const Scene& scene, int id) {
    const Placed* there = scene.byId(id);
    return there != nullptr ? inBuilt(scene, there->shape) : std::string();
}

std::string doorwayAt(const Scene& scene, int id) {
    const Piece* p = scene.pieceById(id);
    const Placed* there = scene.fromAbove(id);
    if (p == nullptr || there == nullptr || !p->on.isFloor() || !p->kind->takesFloor())
        return {};
    // As much as a step.
    const double before = Length::inches(12).mm();
    const auto meets = [&](const Shape& s) {
        return gapBetween(there->shape, s).depth.mm() > touching;
    };
    for (const Opening& o : scene.room->openings) {
        if (o.kind == OpeningKind::window)
            continue;
        const Wall& w = scene.room->walls[static_cast<std::size_t>(o.wall)];
        const Vec2 left = w.at(o.left);
        const Vec2 right = w.at(o.left + o.width);
        const std::array<Vec2, 4> step{left, right, right + w.inward() * before,
                                       left + w.inward() * before};
        const auto swing = doorSwing(*scene.room, o);
        if (meets(convexPolygon(step)) || (swing && meets(*swing)))
            return o.name();
    }
    return {};
}

namespace {

/// What else stands where a piece does on the top they are on; cushions lie over each other.
std::string standsInOnTop(const Scene& scene, const Piece& p, const Shape& shape) {
    if (p.kind->isSoft())
        return {};
    const auto& pieces = scene.scheme->pieces;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        if (const Piece& o = pieces[i]; o.id != p.id && o.on == p.on && !o.kind->isSoft() &&
                                        gapBetween(shape, scene.all[i].shape).depth > quiet)
            return o.name;
    return {};
}

} // namespace

std::string overlapOf(const Scene& scene, int id) {
    const Piece* p = scene.pieceById(id);
    const Placed* there = scene.byId(id);
    if (p == nullptr || there == nullptr || p->isGroup() || p->on.isCeiling() || isCut(*p) ||
        rugOf(*p).stairs > 0)
        return {};
    if (p->on.isCarried())
        return p->on.is == SurfaceId::Is::top ? standsInOnTop(scene, *p, there->shape)
                                              : std::string();
    return p->onWall() ? hangsOver(scene, *p, boxAt(*p, there->pose.at))
                       : standsIn(scene, *p, there->shape, true);
}

} // namespace mezzet
