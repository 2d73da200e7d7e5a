#include "edit/rug_outline.h"

#include "edit/place.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "measure/texts.h"
#include "scheme/rug.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// A rug with straight edges as it stands, and its corners on the floor.
struct Outlined {
    Piece rug;
    std::vector<Vec2> corners;
};

Result<Outlined> outlined(const Project& job, const Scene& scene, int id) {
    const Piece* p = job.scheme().byId(id);
    if (p == nullptr || !p->kind->flat())
        return Problem{"only a rug has edges to move", "choose a rug"};
    if (p->locked)
        return locked(*p);
    if (!isCut(*p) && p->footprint.form != FootprintForm::rectangle)
        return Problem{worded("{} has no corners", p->name), "say its size instead"};
    Outlined out{asItStands(job, scene, id), {}};
    Piece plain = out.rug;
    plain.footprint.corner = {};
    out.corners = trueOutline(plain, out.rug.pose);
    return out;
}

/// The same, where it has such an edge or corner, counted from 1.
Result<Outlined> outlined(const Project& job, const Scene& scene, int id, int number,
                          const char* what) {
    auto of = outlined(job, scene, id);
    if (of && (number < 1 || number > static_cast<int>(of->corners.size())))
        return Problem{worded("{} has no {} {}", of->rug.name, what, number),
                       "count them from its first corner"};
    return of;
}

Result<Edit> withCorners(Outlined of) {
    Piece p = std::move(of.rug);
    const auto name = p.name;
    dropFit(p);
    if (auto bad = giveCorners(p, of.corners))
        return *bad;
    p.ties.clear();
    Edit e;
    e.words = worded("cut {}", name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

/// What a carpet's edge keeps off: the wall or the built-in thing its border is from.
std::optional<Target> keptOff(const Room& room, Vec2 a, Vec2 b, double& now) {
    std::optional<Target> best;
    const Shape edge = stretch({a, b});
    const auto offer = [&](double by, const Target& t) {
        if (!best || by < now) {
            now = by;
            best = t;
        }
    };
    const Vec2 along = unit(b - a);
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        if (std::abs(dot(along, w.along())) > 0.999)
            offer(gapBetween(edge, stretch({w.start, w.end})).apart.mm(),
                  wallTarget(room.edgeWall[i]));
    }
    for (const Fixture& f : room.fixtures)
        if (carpetGoesRound(f))
            for (const auto& part : takenBy(room, f))
                for (std::size_t i = 0; i < part.size(); ++i) {
                    const Vec2 p = part[i];
                    const Vec2 q = part[(i + 1) % part.size()];
                    if (norm(q - p) > 1 && std::abs(dot(along, unit(q - p))) > 0.999)
                        offer(gapBetween(edge, stretch({p, q})).apart.mm(), targetOf(f));
                }
    return best;
}

} // namespace

Result<Edit> moveRugEdge(const Project& job, const Scene& scene, int id, int edge, double by) {
    auto of = outlined(job, scene, id, edge, "edge");
    if (!of)
        return of.problem();
    const std::size_t n = of->corners.size();
    const auto at = [&](std::size_t i) { return of->corners[i % n]; };
    const auto i = static_cast<std::size_t>(edge - 1);
    const Vec2 a = at(i);
    const Vec2 b = at(i + 1);
    const Vec2 out = quarter(unit(b - a)) * (signedArea(of->corners) > 0 ? -1.0 : 1.0);
    if (rugOf(of->rug).fit) {
        double now = 0;
        const auto from = keptOff(*job.room, a, b, now);
        constexpr double near = 1500; // mm: past that it ends where it was said to
        if (from && now < near && now - by >= 0) {
            Piece p = of->rug;
            RugWork work = rugOf(p);
            std::erase_if(work.fit->off, [&](const RugFit::Off& o) { return o.of == *from; });
            work.fit->off.push_back({*from, Length::millimetres(now - by)});
            tellRug(p, std::move(work));
            std::vector<std::string> told;
            if (auto bad = cutToFit(p, *job.room, told))
                return *bad;
            Edit e;
            e.words = worded("cut {}", p.name);
            e.notices = std::move(told);
            e.acts.emplace_back(PutPiece{std::move(p)});
            return e;
        }
    }
    // Each end goes along its other edge's line.
    const auto moved = [&](Vec2 end, Vec2 beyond) {
        const Vec2 way = unit(end - beyond);
        const double lean = dot(way, out);
        return std::abs(lean) > 0.05 ? end + way * (by / lean) : end + out * by;
    };
    const Vec2 newA = moved(a, at(i + n - 1));
    const Vec2 newB = moved(b, at(i + 2));
    of->corners[i] = newA;
    of->corners[(i + 1) % n] = newB;
    const auto passed = [](Vec2 now, Vec2 end, Vec2 beyond) {
        return dot(now - beyond, end - beyond) <= 0;
    };
    if (dot(newB - newA, b - a) <= 0 || passed(newA, a, at(i + n - 1)) ||
        passed(newB, b, at(i + 2)))
        return Problem{"the edge would turn about", "move it less far"};
    return withCorners(std::move(*of));
}

Result<Edit> moveRugCorner(const Project& job, const Scene& scene, int id, int corner, Vec2 to) {
    auto of = outlined(job, scene, id, corner, "corner");
    if (!of)
        return of.problem();
    of->corners[static_cast<std::size_t>(corner - 1)] = to;
    return withCorners(std::move(*of));
}

Result<Edit> sizeRugEdge(const Project& job, const Scene& scene, int id, int edge, Length length) {
    auto of = outlined(job, scene, id, edge, "edge");
    if (!of)
        return of.problem();
    const std::size_t n = of->corners.size();
    if (length <= Length{})
        return Problem{"an edge has a length", "say it like: edge 2 of rug 60 long"};
    const auto i = static_cast<std::size_t>(edge - 1);
    const Vec2 a = of->corners[i];
    const Vec2 b = of->corners[(i + 1) % n];
    const Vec2 step = unit(b - a) * (length.mm() - norm(b - a));
    // The edge after it goes along, whole.
    of->corners[(i + 1) % n] = b + step;
    of->corners[(i + 2) % n] = of->corners[(i + 2) % n] + step;
    return withCorners(std::move(*of));
}

Result<Edit> drawnRug(const Project& job, const std::vector<Vec2>& corners) {
    const auto kind = job.library.kit->byId("rug");
    if (!kind)
        return Problem{"the kit has no rug", "put the shipped kit back"};
    Piece p = pieceOf(kind);
    p.name = job.scheme().freeName(kind->name);
    if (auto bad = giveCorners(p, corners))
        return *bad;
    Edit e;
    e.words = worded("add {}", p.name);
    e.acts.emplace_back(PutPiece{std::move(p)});
    return e;
}

std::vector<FloorLine> buildingLines(const Room& room) {
    std::vector<FloorLine> out;
    const auto add = [&](Vec2 normal, Vec2 through) {
        const double offset = dot(normal, through);
        const bool known = std::any_of(out.begin(), out.end(), [&](const FloorLine& l) {
            return std::abs(std::abs(dot(l.normal, normal)) - 1) < 1e-6 &&
                   std::abs(l.offset - offset * (dot(l.normal, normal) > 0 ? 1 : -1)) < 0.5;
        });
        if (!known)
            out.push_back({normal, offset});
    };
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        if (w.length() < Length::millimetres(100))
            continue; // a chord of a curve
        add(w.inward(), w.start);
        add(w.along(), w.start);
        add(w.along(), w.end);
    }
    for (const Opening& o : room.openings) {
        const Wall& w = room.walls[static_cast<std::size_t>(o.wall)];
        add(w.along(), w.at(o.left));
        add(w.along(), w.at(o.left + o.width));
    }
    return out;
}

} // namespace mezzet
