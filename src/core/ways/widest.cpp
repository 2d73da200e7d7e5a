#include "ways/widest.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <numeric>

namespace mezzet {

namespace {

Vec2 insideOf(const Convex& c) {
    if (c.form == Convex::Form::ellipse)
        return c.points[0];
    if (c.form == Convex::Form::sector)
        return c.points[0] + turned(c.axis, c.sweep * 0.5) * (c.radius / 2);
    Vec2 sum;
    for (int i = 0; i < c.count; ++i)
        sum = sum + c.points[static_cast<std::size_t>(i)];
    return sum / std::max(c.count, 1);
}

std::vector<Vec2> outlineOf(const Convex& c) {
    Shape s;
    s.count = 1;
    s.parts[0] = c;
    return outline(s, Length::millimetres(1));
}

/// A point of two convex things that overlap: the middle of what one cuts out of the other.
Vec2 common(const Convex& a, const Convex& b, const Gap& g) {
    const auto onBoth = [&](Vec2 p) {
        const Convex point = stretch({p, p}).parts[0];
        return gapBetween(a, point).apart < Length::millimetres(0.001) &&
               gapBetween(b, point).apart < Length::millimetres(0.001);
    };
    for (const Vec2 p : {g.onFirst, g.onSecond})
        if (onBoth(p))
            return p;
    auto part = outlineOf(a);
    auto by = outlineOf(b);
    if (by.size() < 3)
        std::swap(part, by);
    if (by.size() == 2 && part.size() == 2) { // two stretches of wall
        if (const auto p = crossing({part[0], part[1]}, {by[0], by[1]}))
            return *p;
    }
    for (std::size_t i = 0; i < by.size() && by.size() >= 3; ++i) {
        // Outlines run clockwise as drawn: inside lies to the right of each edge.
        const Vec2 n = quarter(unit(by[(i + 1) % by.size()] - by[i]));
        const double c = dot(n, by[i]);
        std::vector<Vec2> kept;
        for (std::size_t k = 0; k < part.size(); ++k) {
            const Vec2 p = part[k];
            const Vec2 q = part[(k + 1) % part.size()];
            const double dp = dot(n, p) - c;
            const double dq = dot(n, q) - c;
            if (dp >= -1e-9)
                kept.push_back(p);
            if ((dp >= -1e-9) != (dq >= -1e-9))
                kept.push_back(p + (q - p) * (dp / (dp - dq)));
        }
        if (kept.empty())
            break;
        part = std::move(kept);
    }
    Vec2 sum;
    for (const Vec2 p : part)
        sum = sum + p;
    return sum / static_cast<double>(part.size());
}

/// Which side of the line through two places, with a rule for points on it that is the same for all
/// who share the point.
struct Divide {
    Vec2 from;
    Vec2 way;

    [[nodiscard]] bool side(Vec2 p) const { return cross(way, p - from) >= 0; }
    /// Whether going from a to b crosses the stretch between the places.
    [[nodiscard]] bool crossed(Vec2 a, Vec2 b) const {
        if (side(a) == side(b))
            return false;
        const double ca = cross(way, a - from);
        const double cb = cross(way, b - from);
        const Vec2 at = a + (b - a) * (ca / (ca - cb));
        const double t = dot(at - from, way);
        return t >= 0 && t < dot(way, way);
    }
};

/// Sets joined by crossings of a line, even or odd.
class Rounds {
public:
    explicit Rounds(std::size_t n) : parent_(n), odd_(n, 0) {
        std::iota(parent_.begin(), parent_.end(), std::size_t{0});
    }
    /// Joins two; true when they were joined already by an even way and this one is odd, or the
    /// other way about.
    bool close(std::size_t a, std::size_t b, bool odd) {
        const auto [ra, pa] = find(a);
        const auto [rb, pb] = find(b);
        if (ra == rb)
            return (pa != pb) != odd;
        parent_[ra] = rb;
        odd_[ra] = static_cast<char>((pa != pb) != odd);
        return false;
    }

private:
    std::pair<std::size_t, bool> find(std::size_t i) {
        bool odd = false;
        std::size_t root = i;
        while (parent_[root] != root) {
            odd = odd != (odd_[root] != 0);
            root = parent_[root];
        }
        // Shorten the way for the next.
        bool rest = odd;
        while (parent_[i] != root && i != root) {
            const std::size_t next = parent_[i];
            const bool own = odd_[i] != 0;
            parent_[i] = root;
            odd_[i] = static_cast<char>(rest);
            rest = rest != own;
            i = next;
        }
        return {root, odd};
    }

    std::vector<std::size_t> parent_;
    std::vector<char> odd_; ///< whether the way to the parent crosses an odd number of times
};

} // namespace

WayFinder::WayFinder(std::vector<Block> blocks, Length widest)
    : blocks_(std::move(blocks)), widest_(widest.mm()) {
    struct Round {
        Vec2 centre;
        double reach;
    };
    std::vector<Round> rounds;
    for (const Block& b : blocks_) {
        inside_.push_back(insideOf(b.shape));
        const Vec2 c = inside_.back();
        double reach = b.shape.radius;
        if (b.shape.form == Convex::Form::polygon)
            for (int i = 0; i < b.shape.count; ++i)
                reach = std::max(reach, b.shape.radius +
                                            norm(b.shape.points[static_cast<std::size_t>(i)] - c));
        else if (b.shape.form == Convex::Form::ellipse)
            reach = std::max(b.shape.halfWidth, b.shape.halfDepth);
        rounds.push_back({c, reach});
    }
    for (std::size_t i = 0; i < blocks_.size(); ++i) {
        for (std::size_t k = 0; k < i; ++k) {
            if (norm(rounds[i].centre - rounds[k].centre) - rounds[i].reach - rounds[k].reach >
                widest_)
                continue;
            const Gap g = gapBetween(blocks_[i].shape, blocks_[k].shape);
            const auto& f = blocks_[i].frames;
            const bool sameDoorway = blocks_[k].isFrameOf(f[0]) || blocks_[k].isFrameOf(f[1]);
            if (g.apart.mm() > widest_ || (sameDoorway && g.apart > Length::millimetres(0.001)))
                continue;
            Pair p{g.apart.mm(), i, k, g.onFirst, g.onSecond};
            if (g.apart <= Length{}) {
                // Overlapping, they are joined through a point of both.
                p.onFirst = p.onSecond = common(blocks_[i].shape, blocks_[k].shape, g);
            }
            pairs_.push_back(p);
        }
    }
    std::sort(pairs_.begin(), pairs_.end(),
              [](const Pair& a, const Pair& b) { return a.gap < b.gap; });
}

std::optional<Pinch> WayFinder::narrowest(const WayEnd& from, const WayEnd& to) const {
    std::optional<Pinch> best;
    const auto offer = [&](const Pinch& p) {
        if (p.width.mm() < widest_ && (!best || p.width < best->width))
            best = p;
    };
    // Whoever sets out or arrives has to fit there.
    for (const WayEnd& end : {from, to}) {
        const Vec2 p = end.at;
        const Shape point = stretch({p, p});
        for (std::size_t i = 0; i < blocks_.size(); ++i) {
            if (blocks_[i].isFrameOf(end.doorway))
                continue;
            const Gap g = gapBetween(blocks_[i].shape, point.parts[0]);
            if (g.apart.mm() * 2 < widest_)
                offer({g.apart * 2, i, i, g.onFirst, p});
        }
    }
    const Divide line{from.at, to.at - from.at};
    Rounds rounds(blocks_.size());
    for (const Pair& p : pairs_) {
        if (best && p.gap >= best->width.mm())
            break;
        const bool odd =
            (line.crossed(inside_[p.first], p.onFirst) != line.crossed(p.onFirst, p.onSecond)) !=
            line.crossed(p.onSecond, inside_[p.second]);
        if (!rounds.close(p.first, p.second, odd))
            continue;
        offer({Length::millimetres(p.gap), p.first, p.second, p.onFirst, p.onSecond});
        break;
    }
    return best;
}

} // namespace mezzet
