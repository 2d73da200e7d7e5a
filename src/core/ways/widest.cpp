#include "ways/widest.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <numeric>

namespace mezzet {

namespace {

/// A point of two convex things that overlap: the middle of what one cuts out of the other.
Vec2 common(const Convex& a, const Convex& b, const Gap& g) {
    const auto onBoth = [&](Vec2 p) {
        const Convex point = pointPart(p);
        return gapBetween(a, point).apart < Length::millimetres(0.001) &&
               gapBetween(b, point).apart < Length::millimetres(0.001);
    };
    for (const Vec2 p : {g.onFirst, g.onSecond})
        if (onBoth(p))
            return p;
    auto part = outline(a, Length::millimetres(1));
    auto by = outline(b, Length::millimetres(1));
    if (by.size() < 3)
        std::swap(part, by);
    if (by.size() == 2 && part.size() == 2) { // two stretches of wall
        if (const auto p = crossing({part[0], part[1]}, {by[0], by[1]}))
            return *p;
    }
    for (std::size_t i = 0; i < by.size() && by.size() >= 3; ++i) {
        // Outlines run clockwise as drawn: inside lies to the right of each edge.
        const Vec2 n = quarter(unit(by[(i + 1) % by.size()] - by[i]));
        auto kept = clipped(part, n, dot(n, by[i]));
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

namespace {

/// An order of places, the same whichever came first.
bool before(Vec2 a, Vec2 b) {
    return a.x != b.x ? a.x < b.x : a.y < b.y;
}

} // namespace

bool WayFinder::Pair::operator<(const Pair& o) const {
    if (gap != o.gap)
        return gap < o.gap;
    if (builtIn != o.builtIn)
        return builtIn;
    const Vec2 at = onFirst + onSecond;
    const Vec2 other = o.onFirst + o.onSecond;
    return before(at, other);
}

WayFinder::Round WayFinder::roundOf(const Convex& c) {
    return {insideOf(c), reachOf(c)};
}

std::optional<WayFinder::Pair> WayFinder::pairOf(const Block& a, const Block& b, const Round& ra,
                                                 const Round& rb, std::size_t i,
                                                 std::size_t k) const {
    const double reach = ra.reach + rb.reach + widest_;
    const Vec2 apart = ra.centre - rb.centre;
    if (dot(apart, apart) > reach * reach)
        return {};
    if (before(rb.centre, ra.centre))
        return pairOf(b, a, rb, ra, k, i);
    const Gap g = gapBetween(a.shape, b.shape);
    const bool sameDoorway = b.isFrameOf(a.frames[0]) || b.isFrameOf(a.frames[1]);
    if (g.apart.mm() > widest_ || (sameDoorway && g.apart > Length::millimetres(0.001)))
        return {};
    Pair p{g.apart.mm(), i, k, g.onFirst, g.onSecond, a.builtIn && b.builtIn};
    if (g.apart <= Length{}) {
        // Overlapping, they are joined through a point of both.
        p.onFirst = p.onSecond = common(a.shape, b.shape, g);
    }
    return p;
}

WayFinder::WayFinder(std::vector<Block> blocks, Length widest)
    : blocks_(std::move(blocks)), widest_(widest.mm()) {
    for (const Block& b : blocks_)
        rounds_.push_back(roundOf(b.shape));
    // From left to right: only those that begin before this one ends are near enough.
    std::vector<std::size_t> order(blocks_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    const auto left = [&](std::size_t i) { return rounds_[i].centre.x - rounds_[i].reach; };
    std::sort(order.begin(), order.end(),
              [&](std::size_t a, std::size_t b) { return left(a) < left(b); });
    for (std::size_t n = 0; n < order.size(); ++n) {
        const double right =
            rounds_[order[n]].centre.x + rounds_[order[n]].reach + widest_;
        for (std::size_t m = n + 1; m < order.size() && left(order[m]) <= right; ++m) {
            const auto [k, i] = std::minmax(order[n], order[m]);
            if (auto p = pairOf(blocks_[i], blocks_[k], rounds_[i], rounds_[k], i, k))
                pairs_.push_back(*p);
        }
    }
    std::sort(pairs_.begin(), pairs_.end());
}

std::optional<Pinch> WayFinder::narrowest(const WayEnd& from, const WayEnd& to,
                                          const Opened& opened) const {
    std::optional<Pinch> best;
    const auto offer = [&](const Pinch& p) {
        if (p.width.mm() < widest_ && (!best || p.width < best->width))
            best = p;
    };
    const std::size_t own = blocks_.size();
    std::vector<char> out;
    if (!opened.without.empty()) {
        out.assign(own, 0);
        for (std::size_t i = 0; i < own; ++i)
            out[i] = static_cast<char>(std::find(opened.without.begin(), opened.without.end(),
                                                 blocks_[i].owner) != opened.without.end());
    }
    const auto isOut = [&](std::size_t i) { return !out.empty() && i < own && out[i] != 0; };
    const auto blockAt = [&](std::size_t i) -> const Block& {
        return i < own ? blocks_[i] : opened.with[i - own];
    };
    // Whoever sets out or arrives has to fit there.
    std::vector<Round> more;
    for (const Block& b : opened.with)
        more.push_back(roundOf(b.shape));
    const auto roundAt = [&](std::size_t i) -> const Round& {
        return i < own ? rounds_[i] : more[i - own];
    };
    const std::size_t all = own + opened.with.size();
    for (const WayEnd& end : {from, to}) {
        if (!end.fits)
            continue;
        const Vec2 p = end.at;
        const Convex point = pointPart(p);
        for (std::size_t i = 0; i < all; ++i) {
            const Round& r = roundAt(i);
            const double near = (best ? best->width.mm() : widest_) / 2 + r.reach;
            if (isOut(i) || dot(r.centre - p, r.centre - p) >= near * near ||
                blockAt(i).isFrameOf(end.doorway))
                continue;
            const Gap g = gapBetween(blockAt(i).shape, point);
            if (g.apart.mm() * 2 < widest_)
                offer({g.apart * 2, i, i, g.onFirst, p});
        }
    }
    std::vector<Pair> fresh;
    for (std::size_t i = own; i < all; ++i)
        for (std::size_t k = 0; k < i; ++k)
            if (!isOut(k))
                if (auto p = pairOf(blockAt(i), blockAt(k), roundAt(i), roundAt(k), i, k))
                    fresh.push_back(*p);
    std::sort(fresh.begin(), fresh.end());
    const Divide line{from.at, to.at - from.at};
    Rounds rounds(all);
    std::size_t a = 0;
    std::size_t b = 0;
    while (a < pairs_.size() || b < fresh.size()) {
        const bool old = b >= fresh.size() || (a < pairs_.size() && !(fresh[b] < pairs_[a]));
        const Pair& p = old ? pairs_[a++] : fresh[b++];
        if (old && (isOut(p.first) || isOut(p.second)))
            continue;
        if (best && p.gap >= best->width.mm())
            break;
        const bool odd = (line.crossed(roundAt(p.first).centre, p.onFirst) !=
                          line.crossed(p.onFirst, p.onSecond)) !=
                         line.crossed(p.onSecond, roundAt(p.second).centre);
        if (!rounds.close(p.first, p.second, odd))
            continue;
        offer({Length::millimetres(p.gap), p.first, p.second, p.onFirst, p.onSecond});
        break;
    }
    return best;
}

} // namespace mezzet
