#include "hang/free_wall.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

Box boxOf(double left, double right, double low, double high) {
    Box b;
    b.include(Vec2{left, low});
    b.include(Vec2{right, high});
    return b;
}

bool named(const std::vector<int>& but, int id) {
    return std::find(but.begin(), but.end(), id) != but.end();
}

bool isFurniture(const Piece& p) {
    const Family f = p.kind->family;
    // A chair at a table is drawn out and in: nothing hangs over it.
    return !p.kind->standsOn() && p.kind->role != Role::diningChair &&
           p.kind->role != Role::perch &&
           (f == Family::seat || f == Family::table || f == Family::storage || f == Family::sleep);
}

/// The lowest the ceiling comes over a stretch of wall.
double ceilingOverStretch(const Room& room, int wall, double left, double right) {
    double low = std::min(ceilingOver(room, wall, left), ceilingOver(room, wall, right));
    for (const Vec2 p : room.topOf(wall))
        if (p.x > left && p.x < right)
            low = std::min(low, p.y);
    return low;
}

} // namespace

WallFace faceOf(const WallsView& scene, int wall, Length near) {
    WallFace out;
    out.wall = wall;
    out.standing = standingBefore(scene, wall);
    for (const Opening& o : scene.room->openings)
        if (o.wall == wall)
            if (const auto b = boxOn(targetOf(o), wall, scene))
                out.obstacles.push_back({*b, targetOf(o)});
    for (const Fixture& f : scene.room->fixtures)
        if (f.wall == wall && !f.isBreast() && f.kind != FixtureKind::stairs &&
            f.kind != FixtureKind::column)
            if (const auto b = boxOn(targetOf(f), wall, scene))
                out.obstacles.push_back({*b, targetOf(f)});
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (p.wall() == wall && p.group() == 0)
            out.obstacles.push_back({bounds(scene.hung[i].shape), pieceTarget(p.id)});
    }
    for (const Standing& s : out.standing) {
        const Piece& p = scene.floor.piece(s.index);
        if (s.off <= near.mm() && !p.kind->flat())
            out.obstacles.push_back(
                {boxOf(s.left, s.right, s.base, s.base + p.size.height.mm()), pieceTarget(p.id)});
    }
    return out;
}

std::vector<WallObstacle> obstaclesBut(const WallFace& face, const std::vector<int>& but) {
    std::vector<WallObstacle> out;
    for (const WallObstacle& o : face.obstacles)
        if (o.what.is != Target::Is::piece || !named(but, o.what.piece))
            out.push_back(o);
    return out;
}

std::vector<WallObstacle> obstaclesFor(const WallsView& scene, const WallFace& face, const Box& own,
                                       const std::vector<int>& but) {
    auto out = obstaclesBut(face, but);
    const Room& room = *scene.room;
    const double length = room.walls[static_cast<std::size_t>(face.wall)].length().mm();
    const bool on = faceOut(room, face.wall, own.low.x, own.high.x) > Length{};
    for (const Fixture& f : room.fixtures) {
        if (f.wall != face.wall || !f.isBreast())
            continue;
        const double left = f.left.mm();
        const double right = (f.left + f.width).mm();
        const bool onThis = on && own.low.x >= left - 1 && own.high.x <= right + 1;
        if (onThis) {
            out.push_back({boxOf(-1, left, 0, room.ceiling.mm()), targetOf(f)});
            out.push_back({boxOf(right, length + 1, 0, room.ceiling.mm()), targetOf(f)});
        } else if (own.high.x <= left || own.low.x >= right) {
            out.push_back({boxOf(left, right, 0, room.ceiling.mm()), targetOf(f)});
        }
    }
    return out;
}

std::optional<std::size_t> furnitureUnder(const WallsView& scene, const WallFace& face,
                                          const Box& b, Length near, Length reach) {
    std::optional<std::size_t> best;
    double top = -1;
    for (const Standing& s : face.standing) {
        const Piece& p = scene.floor.piece(s.index);
        const double high = s.base + p.size.height.mm();
        const double shared = std::min(s.right, b.high.x) - std::max(s.left, b.low.x);
        const double middle = b.centre().x;
        const double aslant = std::abs(std::sin(
            2 * difference(scene.floor.placed[s.index].pose.turn,
                           scene.room->walls[static_cast<std::size_t>(face.wall)].direction())
                    .inRadians()));
        if (!isFurniture(p) || s.off > near.mm() || shared < b.size().x * 0.6 || middle < s.left ||
            middle > s.right || aslant > 0.35 || high > b.centre().y ||
            b.low.y - high > reach.mm() || high <= top)
            continue;
        top = high;
        best = s.index;
    }
    return best;
}

std::optional<Box> freeAround(const WallsView& scene, int wall, Vec2 place,
                              const std::vector<WallObstacle>& all) {
    const double length = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    std::vector<double> lefts{0};
    std::vector<double> rights{length};
    for (const auto& o : all) {
        if (o.box.high.x <= place.x)
            lefts.push_back(o.box.high.x);
        if (o.box.low.x >= place.x)
            rights.push_back(o.box.low.x);
    }
    std::optional<Box> best;
    double most = 0;
    for (const double l : lefts)
        for (const double r : rights) {
            if (r <= l || place.x < l || place.x > r)
                continue;
            double low = 0;
            double high = ceilingOverStretch(*scene.room, wall, l, r);
            bool taken = place.y > high || place.y < low;
            for (const auto& o : all) {
                if (o.box.high.x <= l || o.box.low.x >= r)
                    continue;
                if (o.box.high.y <= place.y)
                    low = std::max(low, o.box.high.y);
                else if (o.box.low.y >= place.y)
                    high = std::min(high, o.box.low.y);
                else
                    taken = true;
            }
            if (taken || high <= low || (r - l) * (high - low) <= most)
                continue;
            most = (r - l) * (high - low);
            best = boxOf(l, r, low, high);
        }
    return best;
}

std::optional<Box> freeOver(const WallsView& scene, const WallFace& face, std::size_t piece,
                            const std::vector<int>& but) {
    const int wall = face.wall;
    const auto on = boxOn(pieceTarget(scene.floor.piece(piece).id), wall, scene);
    if (!on)
        return {};
    const double length = scene.room->walls[static_cast<std::size_t>(wall)].length().mm();
    const double left = std::max(on->low.x, 0.0);
    const double right = std::min(on->high.x, length);
    if (right <= left)
        return {};
    auto all = obstaclesBut(face, but);
    // Lamps and plants beside or on it are moved sooner than a picture; what is lower than its top
    // is out of the way.
    std::erase_if(all, [&](const WallObstacle& o) {
        return o.box.high.y <= on->high.y + 1 || o.what == pieceTarget(scene.floor.piece(piece).id);
    });
    // Where it is crossed in the middle, the wider side of that is left.
    Box b = boxOf(left, right, on->high.y, ceilingOverStretch(*scene.room, wall, left, right));
    const auto free = freeAround(scene, wall, {(left + right) / 2, on->high.y + 1}, all);
    if (!free)
        return {};
    b = boxOf(std::max(left, free->low.x), std::min(right, free->high.x), on->high.y, free->high.y);
    return b.size().x > 1 && b.size().y > 1 ? std::optional<Box>(b) : std::nullopt;
}

std::optional<Box> within(const Box& b, Length sides, Length under, Length over) {
    const Box out = boxOf(b.low.x + sides.mm(), b.high.x - sides.mm(), b.low.y + under.mm(),
                          b.high.y - over.mm());
    if (b.size().x <= 2 * sides.mm() || b.size().y <= (under + over).mm())
        return {};
    return out;
}

} // namespace mezzet
