#include "things/covered.h"

#include "geometry/polygon.h"

#include <algorithm>
#include <numbers>

namespace mezzet {

namespace {

double inner(Vec3 a, Vec3 b) {
    return a.x * b.x + a.y * b.y + a.z * b.z;
}

/// Corners in order about a set of points (Andrew's chain).
std::vector<Vec2> hullOf(std::vector<Vec2> p) {
    std::sort(p.begin(), p.end(),
              [](Vec2 a, Vec2 b) { return a.x < b.x || (a.x == b.x && a.y < b.y); });
    if (p.size() < 3)
        return p;
    std::vector<Vec2> out(2 * p.size());
    std::size_t n = 0;
    const auto add = [&](Vec2 c, std::size_t least) {
        while (n >= least && cross(out[n - 1] - out[n - 2], c - out[n - 1]) <= 0)
            --n;
        out[n++] = c;
    };
    for (const Vec2 c : p)
        add(c, 2);
    const std::size_t lower = n + 1;
    for (auto it = p.rbegin() + 1; it != p.rend(); ++it)
        add(*it, lower);
    out.resize(n - 1);
    return out;
}

/// Where a convex outline meets the level line y: from and to; nothing when it doesn't.
std::optional<std::pair<double, double>> across(const std::vector<Vec2>& hull, double y) {
    double low = 1e300;
    double high = -1e300;
    for (std::size_t i = 0; i < hull.size(); ++i) {
        const Vec2 a = hull[i];
        const Vec2 b = hull[(i + 1) % hull.size()];
        if ((a.y - y) * (b.y - y) > 0)
            continue;
        const double t = a.y == b.y ? 0 : (y - a.y) / (b.y - a.y);
        const double x = a.x + (b.x - a.x) * t;
        low = std::min(low, x);
        high = std::max(high, x);
    }
    if (low > high)
        return {};
    return std::pair{low, high};
}

} // namespace

std::vector<UnitEye> eyesOn(const Scene& scene, int unit, const EyesBefore& eyes) {
    const Piece* p = scene.pieceById(unit);
    const auto body = bodyOf(scene, unit);
    if (p == nullptr || !body)
        return {};
    const Vec2 middle = body->foot.plan() + body->front.plan() * (p->size.depth.mm() / 2);
    const Vec2 front = body->front.plan();
    const Vec2 before = middle + front * eyes.away.mm();
    const double level = scene.room->levelAt(before).mm();
    std::vector<UnitEye> out;
    UnitEye seated{{before.x, before.y, level + eyes.seated.mm()}, true, 0};
    constexpr double farthest = 6000;
    double nearest = farthest;
    const FloorView floor(scene);
    for (std::size_t i = 0; i < floor.placed.size(); ++i) {
        const Piece& seat = floor.piece(i);
        if (!seat.kind->isSeat())
            continue;
        const Pose& pose = floor.placed[i].pose;
        const Vec2 to = middle - pose.at;
        const double away = norm(to);
        if (away < 1 || away >= nearest || dot(-to, front) <= 0 ||
            dot(to / away, pose.front()) < std::numbers::sqrt2 / 2)
            continue;
        nearest = away;
        seated.at = {pose.at.x, pose.at.y, scene.room->levelAt(pose.at).mm() + eyes.seated.mm()};
        seated.seat = seat.id;
    }
    out.push_back({{before.x, before.y, level + eyes.standing.mm()}, false, 0});
    out.push_back(seated);
    return out;
}

double coveredShare(const Scene& scene, const DressedSurface& board, const DressedThing& art,
                    Vec3 eye) {
    const auto s = surfaceOf(scene, board.id);
    const double wide = art.size.width.mm();
    const double high = art.size.height.mm();
    if (!s || wide <= 0 || high <= 0)
        return 0;
    const Box box = boardOf(*scene.pieceById(board.id.piece), board.id);
    // The eye in the board's own coordinates: right, forward, up.
    const Vec3 from = eye + s->origin * -1;
    const Vec3 own{inner(from, s->x) - box.low.x, inner(from, s->y) - box.low.y,
                   inner(from, s->normal)};
    const double plane = art.front();
    if (own.y <= plane + 1)
        return 0;
    std::vector<std::vector<Vec2>> shadows;
    for (const DressedThing& t : board.things) {
        constexpr double touching = 0.5;
        if (t.id == art.id || t.front() <= plane + touching)
            continue;
        const Piece& p = *scene.pieceById(t.id);
        const Shape shape = p.shape();
        std::vector<Vec2> seen;
        const Vec2 middle{t.at.x + t.size.width.mm() / 2, t.at.y + t.size.depth.mm() / 2};
        constexpr double chord = 2;
        const auto body = bodyOf(scene, t.id);
        for (const Vec2 c : outline(shape, Length::millimetres(chord))) {
            const Vec2 at{
                middle.x + c.x * inner(body->right, s->x) + c.y * inner(body->front, s->x),
                std::max(middle.y + c.x * inner(body->right, s->y) + c.y * inner(body->front, s->y),
                         plane)};
            if (own.y <= at.y + 1)
                continue;
            const double k = (own.y - plane) / (own.y - at.y);
            for (const double z : {t.at.z, t.top()})
                seen.push_back({own.x + (at.x - own.x) * k, own.z + (z - own.z) * k});
        }
        // Beside the front it hides nothing.
        Box over;
        for (const Vec2 c : seen)
            over.include(c);
        if (seen.empty() || over.high.x <= art.at.x || over.low.x >= art.right() ||
            over.high.y <= art.at.z || over.low.y >= art.top())
            continue;
        auto hull = hullOf(std::move(seen));
        if (hull.size() >= 3)
            shadows.push_back(std::move(hull));
    }
    if (shadows.empty())
        return 0;
    // By level lines across the front; what they hide is exact on each.
    constexpr int lines = 400;
    double hidden = 0;
    std::vector<std::pair<double, double>> parts;
    for (int i = 0; i < lines; ++i) {
        const double y = art.at.z + high * (i + 0.5) / lines;
        parts.clear();
        for (const auto& hull : shadows)
            if (const auto part = across(hull, y)) {
                const double l = std::max(part->first, art.at.x);
                const double r = std::min(part->second, art.right());
                if (r > l)
                    parts.emplace_back(l, r);
            }
        std::sort(parts.begin(), parts.end());
        double end = art.at.x;
        for (const auto& [l, r] : parts) {
            hidden += std::max(r - std::max(l, end), 0.0);
            end = std::max(end, r);
        }
    }
    return hidden / lines / wide;
}

} // namespace mezzet
