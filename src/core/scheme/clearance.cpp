#include "scheme/clearance.h"

#include "scheme/on_wall.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace mezzet {

namespace {

using Ring = std::vector<Vec2>;

constexpr std::array<Vec2, 4> ways{Vec2{1, 0}, Vec2{-1, 0}, Vec2{0, 1}, Vec2{0, -1}};

/// How far along `way` from p the segment a-b is met; nothing when it is not, or lies behind.
std::optional<double> metAt(Vec2 p, Vec2 way, Vec2 a, Vec2 b) {
    const Vec2 across = quarter(way);
    const double u = dot(a - p, across);
    const double v = dot(b - p, across);
    constexpr double hair = 0.01; // mm; what is only grazed is not met
    if (std::max(u, v) <= hair || std::min(u, v) >= -hair)
        return {};
    const double share = u / (u - v);
    const double ahead = dot(a + (b - a) * share - p, way);
    return ahead < -hair ? std::nullopt : std::optional(std::max(ahead, 0.0));
}

/// The nearest of what a shape would meet, each way, as it goes straight.
class Sweep {
public:
    explicit Sweep(Ring ring) : ring_(std::move(ring)) {
        for (const Vec2 p : ring_) {
            box_.include(p);
            middle_ = middle_ + p / static_cast<double>(ring_.size());
        }
    }

    /// Something with an outline, or a stretch of one when it is not `closed`.
    void meet(const Ring& other, const Target& what, bool closed = true) {
        Box b;
        for (const Vec2 p : other)
            b.include(p);
        for (std::size_t i = 0; i < ways.size(); ++i) {
            const bool across = ways[i].x != 0;
            // What lies beside the way is not met.
            if (across ? b.high.y <= box_.low.y || b.low.y >= box_.high.y
                       : b.high.x <= box_.low.x || b.low.x >= box_.high.x)
                continue;
            meet(i, other, what, closed);
        }
    }

    [[nodiscard]] std::vector<Clearance> take() const {
        std::vector<Clearance> out;
        for (const auto& c : found_)
            if (c)
                out.push_back(*c);
        return out;
    }

private:
    void meet(std::size_t i, const Ring& other, const Target& what, bool closed) {
        const Vec2 way = ways[i];
        const std::size_t sides = closed ? other.size() : other.size() - 1;
        const auto offer = [&](Vec2 from, Vec2 to) {
            const double far = norm(to - from);
            const auto& old = found_[i];
            const double had = old ? old->apart().mm() : 0;
            // Of several that are met at once the one nearest its middle is told.
            const auto off = [&](Vec2 p) { return std::abs(dot(p - middle_, quarter(way))); };
            if (!old || far < had - 0.005 || (far < had + 0.005 && off(from) < off(old->from)))
                found_[i] = Clearance{from, to, what};
        };
        for (const Vec2 p : ring_)
            for (std::size_t k = 0; k < sides; ++k)
                if (const auto far = metAt(p, way, other[k], other[(k + 1) % other.size()]))
                    offer(p, p + way * *far);
        for (const Vec2 q : other)
            for (std::size_t k = 0; k < ring_.size(); ++k)
                if (const auto far = metAt(q, -way, ring_[k], ring_[(k + 1) % ring_.size()]))
                    offer(q - way * *far, q);
        // Its middle, so that between two straight sides the figure stands in the middle.
        for (std::size_t k = 0; k < sides; ++k)
            if (const auto far = metAt(middle_, way, other[k], other[(k + 1) % other.size()]))
                for (std::size_t m = 0; m < ring_.size(); ++m)
                    if (const auto own =
                            metAt(middle_, way, ring_[m], ring_[(m + 1) % ring_.size()]);
                        own && *own <= *far)
                        offer(middle_ + way * *own, middle_ + way * *far);
    }

    Ring ring_;
    Box box_;
    Vec2 middle_;
    std::array<std::optional<Clearance>, 4> found_;
};

Ring outlineOf(const Shape& s) {
    return outline(s, Length::millimetres(0.25));
}

Ring ringOf(double left, double right, double low, double high) {
    return {{left, low}, {right, low}, {right, high}, {left, high}};
}

} // namespace

std::vector<Clearance> clearancesAbout(const FloorView& scene, int piece) {
    const Placed* own = scene.byId(piece);
    const Piece* it = scene.scheme->byId(piece);
    if (own == nullptr || it == nullptr)
        return {};
    Sweep sweep(outlineOf(own->shape));
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        Target t;
        t.is = Target::Is::wall;
        t.index = room.edgeWall.size() > i ? room.edgeWall[i] : static_cast<int>(i);
        sweep.meet({w.start, w.end}, t, false);
    }
    for (const Fixture& f : room.fixtures)
        if (f.isBreast() || f.kind == FixtureKind::column) {
            Target t;
            t.is = f.isBreast() ? Target::Is::chimney : Target::Is::fixture;
            t.built = f.kind;
            t.index = f.number;
            sweep.meet(outlineOf(solid(room, f)), t);
        }
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        // What lies under it, carries it or stands on it is not beside it.
        if (p.id == piece || p.kind->flat() || p.on != it->on)
            continue;
        Target t;
        t.is = Target::Is::piece;
        t.piece = p.id;
        sweep.meet(outlineOf(scene.placed[i].shape), t);
    }
    auto out = sweep.take();
    // What it touches needs no figure.
    std::erase_if(out, [](const Clearance& c) { return c.apart().mm() < 0.01; });
    return out;
}

std::vector<Clearance> clearancesAbout(const WallsView& scene, int piece) {
    const Piece* it = scene.scheme->byId(piece);
    const Placed* own = scene.byId(piece);
    if (own == nullptr || it == nullptr || !it->onWall())
        return {};
    const int wall = it->wall();
    const Room& room = *scene.room;
    Sweep sweep(outlineOf(own->shape));
    const double length = room.walls[static_cast<std::size_t>(wall)].length().mm();
    const auto target = [](Target::Is is, int index) {
        Target t;
        t.is = is;
        t.index = index;
        return t;
    };
    Target left = target(Target::Is::corner, wall);
    Target right = left;
    right.alongNext = true;
    const double far = room.ceiling.mm() + 1e5;
    sweep.meet({{0, -far}, {0, far}}, left, false);
    sweep.meet({{length, -far}, {length, far}}, right, false);
    sweep.meet(room.topOf(wall), target(Target::Is::ceiling, 0), false);
    sweep.meet({{-far, 0}, {far, 0}}, target(Target::Is::room, 0), false);
    for (const Opening& o : room.openings)
        if (o.wall == wall)
            sweep.meet(ringOf(o.left.mm(), (o.left + o.width).mm(), o.sill.mm(), o.head().mm()),
                       targetOf(o));
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (p.id == piece || p.on != it->on || p.isGroup() || p.group() == piece ||
            p.kind->role == Role::curtain)
            continue;
        Target t = target(Target::Is::piece, 0);
        t.piece = p.id;
        sweep.meet(outlineOf(scene.hung[i].shape), t);
    }
    for (const Standing& s : standingBefore(scene.floor, wall)) {
        const Piece& p = scene.floor.piece(s.index);
        if (p.kind->flat() || s.off > Length::inches(30).mm())
            continue;
        Target t = target(Target::Is::piece, 0);
        t.piece = p.id;
        sweep.meet(ringOf(s.left, s.right, s.base, s.base + p.size.height.mm()), t);
    }
    auto out = sweep.take();
    std::erase_if(out, [](const Clearance& c) { return c.apart().mm() < 0.01; });
    return out;
}

} // namespace mezzet
