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

Ring outlineOf(const Shape& s, double tolerance) {
    return outline(s, Length::millimetres(tolerance));
}

constexpr double coarse = 0.5;  // mm: near enough to tell what is met first
constexpr double fine = 0.005;  // mm: to tell where
constexpr double window = 60.0; // mm either side of that, which is looked at finely

/// The nearest of what a shape would meet, each way, as it goes straight.
class Sweep {
public:
    explicit Sweep(const Shape& own) : own_(&own), ring_(outlineOf(own, coarse)) {
        for (const Vec2 p : ring_) {
            box_.include(p);
            middle_ = middle_ + p / static_cast<double>(ring_.size());
        }
    }

    void meet(const Shape& other, const Target& what) {
        meetRing(outlineOf(other, coarse), what, true, &other);
    }
    /// A straight line, or a ring of them when `closed`.
    void meet(const Ring& other, const Target& what, bool closed) {
        meetRing(other, what, closed, nullptr);
    }

    [[nodiscard]] std::vector<Clearance> take() {
        const Ring own = outlineOf(*own_, fine);
        std::vector<Clearance> out;
        for (std::size_t i = 0; i < ways.size(); ++i) {
            if (!found_[i])
                continue;
            const Found met = std::move(*found_[i]);
            const Ring other = met.shape != nullptr ? outlineOf(*met.shape, fine) : met.ring;
            const double at = dot(met.is.from, quarter(ways[i]));
            found_[i].reset();
            sweep(i, sidesNear(own, true, i, at), sidesNear(other, met.closed, i, at), met.is.what,
                  met);
            const Clearance best = found_[i] ? found_[i]->is : met.is;
            // What it touches needs no figure.
            if (best.apart().mm() >= 0.01)
                out.push_back(best);
        }
        return out;
    }

private:
    struct Found {
        Clearance is;
        const Shape* shape; ///< null for straight lines
        Ring ring;
        bool closed;
    };

    void meetRing(const Ring& other, const Target& what, bool closed, const Shape* shape) {
        Box b;
        for (const Vec2 p : other)
            b.include(p);
        for (std::size_t i = 0; i < ways.size(); ++i) {
            const bool across = ways[i].x != 0;
            // What lies beside the way is not met.
            if (across ? b.high.y <= box_.low.y || b.low.y >= box_.high.y
                       : b.high.x <= box_.low.x || b.low.x >= box_.high.x)
                continue;
            sweep(i, sidesOf(ring_, true), sidesOf(other, closed), what,
                  {{}, shape, shape != nullptr ? Ring{} : other, closed});
        }
    }

    static std::vector<Segment> sidesOf(const Ring& r, bool closed) {
        std::vector<Segment> out;
        for (std::size_t k = 0; k + (closed ? 0 : 1) < r.size(); ++k)
            out.push_back({r[k], r[(k + 1) % r.size()]});
        return out;
    }
    static std::vector<Segment> sidesNear(const Ring& r, bool closed, std::size_t way, double at) {
        auto out = sidesOf(r, closed);
        const Vec2 across = quarter(ways[way]);
        std::erase_if(out, [&](const Segment& s) {
            const double a = dot(s.from, across) - at;
            const double b = dot(s.to, across) - at;
            return std::min(a, b) > window || std::max(a, b) < -window;
        });
        return out;
    }

    void sweep(std::size_t i, const std::vector<Segment>& own, const std::vector<Segment>& other,
               const Target& what, const Found& of) {
        const Vec2 way = ways[i];
        const auto offer = [&](Vec2 from, Vec2 to) {
            const double far = norm(to - from);
            const double had = found_[i] ? found_[i]->is.apart().mm() : 0;
            // Of several that are met at once the one nearest its middle is told.
            const auto off = [&](Vec2 p) { return std::abs(dot(p - middle_, quarter(way))); };
            if (!found_[i] || far < had - 0.005 ||
                (far < had + 0.005 && off(from) < off(found_[i]->is.from)))
                found_[i] = Found{{from, to, what}, of.shape, of.ring, of.closed};
        };
        const auto ends = [](const std::vector<Segment>& all, auto&& each) {
            for (const Segment& s : all)
                for (const Vec2 p : {s.from, s.to})
                    each(p);
        };
        ends(own, [&](Vec2 p) {
            for (const Segment& s : other)
                if (const auto far = metAt(p, way, s.from, s.to))
                    offer(p, p + way * *far);
        });
        ends(other, [&](Vec2 q) {
            for (const Segment& s : own)
                if (const auto far = metAt(q, -way, s.from, s.to))
                    offer(q - way * *far, q);
        });
        // Its middle, so that between two straight sides the figure stands in the middle.
        for (const Segment& s : other)
            if (const auto far = metAt(middle_, way, s.from, s.to))
                for (const Segment& m : own)
                    if (const auto edge = metAt(middle_, way, m.from, m.to); edge && *edge <= *far)
                        offer(middle_ + way * *edge, middle_ + way * *far);
    }

    const Shape* own_;
    Ring ring_;
    Box box_;
    Vec2 middle_;
    std::array<std::optional<Found>, 4> found_;
};

Ring ringOf(double left, double right, double low, double high) {
    return {{left, low}, {right, low}, {right, high}, {left, high}};
}

} // namespace

std::vector<Clearance> clearancesAbout(const FloorView& scene, int piece) {
    const Placed* own = scene.byId(piece);
    const Piece* it = scene.scheme->byId(piece);
    if (own == nullptr || it == nullptr)
        return {};
    Sweep sweep(own->shape);
    const Room& room = *scene.room;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        Target t;
        t.is = Target::Is::wall;
        t.index = room.edgeWall.size() > i ? room.edgeWall[i] : static_cast<int>(i);
        sweep.meet({w.start, w.end}, t, false);
    }
    // They are kept while the sweep looks at them.
    std::vector<Shape> solids;
    std::vector<Target> met;
    for (const Fixture& f : room.fixtures)
        if (f.isBreast() || f.kind == FixtureKind::column) {
            Target t;
            t.is = f.isBreast() ? Target::Is::chimney : Target::Is::fixture;
            t.built = f.kind;
            t.index = f.number;
            solids.push_back(solid(room, f));
            met.push_back(t);
        }
    for (std::size_t i = 0; i < solids.size(); ++i)
        sweep.meet(solids[i], met[i]);
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        // What lies under it, carries it or stands on it is not beside it.
        if (p.id == piece || p.kind->flat() || p.on != it->on)
            continue;
        Target t;
        t.is = Target::Is::piece;
        t.piece = p.id;
        sweep.meet(scene.placed[i].shape, t);
    }
    return sweep.take();
}

std::vector<Clearance> clearancesAbout(const WallsView& scene, int piece) {
    const Piece* it = scene.scheme->byId(piece);
    const Placed* own = scene.byId(piece);
    if (own == nullptr || it == nullptr || !it->onWall())
        return {};
    const int wall = it->wall();
    const Room& room = *scene.room;
    Sweep sweep(own->shape);
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
                       targetOf(o), true);
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (p.id == piece || p.on != it->on || p.isGroup() || p.group() == piece ||
            p.kind->role == Role::curtain)
            continue;
        Target t = target(Target::Is::piece, 0);
        t.piece = p.id;
        sweep.meet(scene.hung[i].shape, t);
    }
    for (const Standing& s : standingBefore(scene.floor, wall)) {
        const Piece& p = scene.floor.piece(s.index);
        if (p.kind->flat() || s.off > Length::inches(30).mm())
            continue;
        Target t = target(Target::Is::piece, 0);
        t.piece = p.id;
        sweep.meet(ringOf(s.left, s.right, s.base, s.base + p.size.height.mm()), t, true);
    }
    return sweep.take();
}

} // namespace mezzet
