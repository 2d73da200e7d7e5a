#include "ways/widest.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <cassert>
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

/// Sets joined, each with the rays crossed on the way to what it was joined to.
class Rounds {
public:
    explicit Rounds(std::size_t n) : parent_(n), crossed_(n, 0) {
        std::iota(parent_.begin(), parent_.end(), std::uint32_t{0});
    }
    struct Found {
        std::uint32_t root = 0;
        std::uint64_t crossed = 0;
    };
    Found find(std::uint32_t i) {
        std::uint64_t all = 0;
        std::uint32_t root = i;
        while (parent_[root] != root) {
            all ^= crossed_[root];
            root = parent_[root];
        }
        // Shorten the way for the next.
        std::uint64_t rest = all;
        while (parent_[i] != root && i != root) {
            const std::uint32_t next = parent_[i];
            const std::uint64_t own = crossed_[i];
            parent_[i] = root;
            crossed_[i] = rest;
            rest ^= own;
            i = next;
        }
        return {root, all};
    }
    /// False when they were joined already.
    bool join(std::uint32_t a, std::uint32_t b, std::uint64_t crossed) {
        const Found fa = find(a);
        const Found fb = find(b);
        if (fa.root == fb.root)
            return false;
        parent_[fa.root] = fb.root;
        crossed_[fa.root] = fa.crossed ^ fb.crossed ^ crossed;
        return true;
    }

private:
    std::vector<std::uint32_t> parent_;
    std::vector<std::uint64_t> crossed_; ///< on the way to the parent
};

/// Whether a stretch crosses the ray that runs to the right from a place.
bool overRay(Vec2 place, Vec2 a, Vec2 b) {
    if ((a.y >= place.y) == (b.y >= place.y))
        return false;
    return a.x + (place.y - a.y) * (b.x - a.x) / (b.y - a.y) > place.x;
}

} // namespace

namespace {

/// An order of places, the same whichever came first.
bool before(Vec2 a, Vec2 b) {
    return a.x != b.x ? a.x < b.x : a.y < b.y;
}

} // namespace

/// What reaches no farther than furniture does, mm; walls do.
constexpr double shortReach = 1500;

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
        const double right = rounds_[order[n]].centre.x + rounds_[order[n]].reach + widest_;
        for (std::size_t m = n + 1; m < order.size() && left(order[m]) <= right; ++m) {
            const auto [k, i] = std::minmax(order[n], order[m]);
            if (auto p = pairOf(blocks_[i], blocks_[k], rounds_[i], rounds_[k], i, k))
                pairs_.push_back(*p);
        }
    }
    std::sort(pairs_.begin(), pairs_.end());
    plantForest();
}

bool WayFinder::crossesRay(const Pair& p, const Round& first, const Round& second, Vec2 place) {
    return (overRay(place, first.centre, p.onFirst) != overRay(place, p.onFirst, p.onSecond)) !=
           overRay(place, p.onSecond, second.centre);
}

void WayFinder::plantForest() {
    Rounds joined(blocks_.size());
    std::vector<std::vector<std::pair<std::uint32_t, std::uint32_t>>> hangs(blocks_.size());
    inForest_.assign(pairs_.size(), 0);
    for (std::uint32_t e = 0; e < pairs_.size(); ++e) {
        const Pair& p = pairs_[e];
        const auto a = static_cast<std::uint32_t>(p.first);
        const auto b = static_cast<std::uint32_t>(p.second);
        const auto [low, high] =
            std::minmax({rounds_[a].centre.y, p.onFirst.y, p.onSecond.y, rounds_[b].centre.y});
        extents_.push_back(
            {low, high,
             std::max({rounds_[a].centre.x, p.onFirst.x, p.onSecond.x, rounds_[b].centre.x})});
        if (!joined.join(a, b, 0))
            continue;
        inForest_[e] = 1;
        forest_.push_back(e);
        hangs[a].emplace_back(b, e);
        hangs[b].emplace_back(a, e);
    }
    std::vector<char> seen(blocks_.size(), 0);
    for (std::uint32_t root = 0; root < blocks_.size(); ++root) {
        if (seen[root] != 0)
            continue;
        seen[root] = 1;
        outward_.push_back({root, root, 0});
        for (std::size_t n = outward_.size() - 1; n < outward_.size(); ++n)
            for (const auto& [next, by] : hangs[outward_[n].block])
                if (seen[next] == 0) {
                    seen[next] = 1;
                    outward_.push_back({next, outward_[n].block, by});
                }
    }
    for (std::uint32_t i = 0; i < blocks_.size(); ++i)
        (rounds_[i].reach <= shortReach ? short_ : long_).push_back(i);
    std::sort(short_.begin(), short_.end(), [&](std::uint32_t a, std::uint32_t b) {
        return rounds_[a].centre.x < rounds_[b].centre.x;
    });
    for (std::uint32_t i = 0; i < blocks_.size(); ++i) {
        const int owner = blocks_[i].owner;
        if (owner < 0)
            continue;
        if (ofOwner_.size() <= static_cast<std::size_t>(owner))
            ofOwner_.resize(static_cast<std::size_t>(owner) + 1);
        ofOwner_[static_cast<std::size_t>(owner)].push_back(i);
    }
}

WayFinder::Starts WayFinder::startsAt(std::vector<WayEnd> at) const {
    assert(at.size() <= mostStarts);
    Starts out{std::move(at), std::vector<std::uint64_t>(pairs_.size(), 0)};
    for (std::size_t e = 0; e < pairs_.size(); ++e)
        for (std::size_t k = 0; k < out.at.size(); ++k)
            if (crossesRay(pairs_[e], rounds_[pairs_[e].first], rounds_[pairs_[e].second],
                           out.at[k].at))
                out.crossed[e] |= std::uint64_t{1} << k;
    return out;
}

std::optional<Pinch> WayFinder::narrowest(const WayEnd& from, const WayEnd& to,
                                          const Opened& opened) const {
    return narrowest(startsAt({from}), to, opened, Length::millimetres(widest_)).front();
}

std::vector<std::optional<Pinch>> WayFinder::narrowest(const Starts& starts, const WayEnd& to,
                                                       const Opened& opened, Length most) const {
    const double limit = std::min(most.mm(), widest_);
    std::vector<std::optional<Pinch>> best(starts.at.size());
    const auto widthOf = [&](std::size_t k) { return best[k] ? best[k]->width.mm() : limit; };
    const auto own = static_cast<std::uint32_t>(blocks_.size());
    const auto all = own + static_cast<std::uint32_t>(opened.with.size());
    std::vector<char> out(own, 0);
    for (const int owner : opened.without)
        if (owner >= 0 && static_cast<std::size_t>(owner) < ofOwner_.size())
            for (const std::uint32_t i : ofOwner_[static_cast<std::size_t>(owner)])
                out[i] = 1;
    const auto isOut = [&](std::size_t i) { return i < own && out[i] != 0; };
    const auto blockAt = [&](std::size_t i) -> const Block& {
        return i < own ? blocks_[i] : opened.with[i - own];
    };
    std::vector<Round> more;
    for (const Block& b : opened.with)
        more.push_back(roundOf(b.shape));
    const auto roundAt = [&](std::size_t i) -> const Round& {
        return i < own ? rounds_[i] : more[i - own];
    };

    // Whoever sets out or arrives has to fit there.
    const auto fit = [&](const WayEnd& end, std::optional<Pinch>& into) {
        const Vec2 p = end.at;
        const Convex point = pointPart(p);
        for (std::uint32_t i = 0; i < all; ++i) {
            const Round& r = roundAt(i);
            const double width = into ? into->width.mm() : limit;
            const double near = width / 2 + r.reach;
            if (isOut(i) || dot(r.centre - p, r.centre - p) >= near * near ||
                blockAt(i).isFrameOf(end.doorway))
                continue;
            const Gap g = gapBetween(blockAt(i).shape, point);
            if (g.apart.mm() * 2 < width)
                into = Pinch{g.apart * 2, i, i, g.onFirst, p};
        }
    };
    std::optional<Pinch> arrived;
    if (to.fits)
        fit(to, arrived);
    for (std::size_t k = 0; k < starts.at.size(); ++k) {
        if (starts.at[k].fits)
            fit(starts.at[k], best[k]);
        if (arrived && arrived->width.mm() < widthOf(k))
            best[k] = arrived;
    }

    // What stands there instead, with what is near it.
    std::vector<Pair> fresh;
    for (std::uint32_t i = own; i < all; ++i) {
        const Round& r = roundAt(i);
        const auto meet = [&](std::uint32_t k) {
            const Round& other = roundAt(k);
            const double far = r.reach + other.reach + limit;
            if (isOut(k) || dot(r.centre - other.centre, r.centre - other.centre) > far * far)
                return;
            if (auto p = pairOf(blockAt(i), blockAt(k), r, other, i, k); p && p->gap < limit)
                fresh.push_back(*p);
        };
        const double span = r.reach + shortReach + limit;
        for (auto it = std::lower_bound(
                 short_.begin(), short_.end(), r.centre.x - span,
                 [&](std::uint32_t k, double x) { return rounds_[k].centre.x < x; });
             it != short_.end() && rounds_[*it].centre.x <= r.centre.x + span; ++it)
            meet(*it);
        for (const std::uint32_t k : long_)
            meet(k);
        for (std::uint32_t k = own; k < i; ++k)
            meet(k);
    }
    std::sort(fresh.begin(), fresh.end());

    const auto end = static_cast<std::uint32_t>(
        std::lower_bound(pairs_.begin(), pairs_.end(), limit,
                         [](const Pair& p, double gap) { return p.gap < gap; }) -
        pairs_.begin());
    constexpr std::uint64_t goal = std::uint64_t{1} << mostStarts;
    const auto crossed = [&](std::uint32_t e) {
        const Extent& x = extents_[e];
        const bool far = to.at.y < x.low || to.at.y > x.high || to.at.x > x.right;
        const Pair& p = pairs_[e];
        return far || !crossesRay(p, rounds_[p.first], rounds_[p.second], to.at)
                   ? starts.crossed[e]
                   : starts.crossed[e] | goal;
    };
    const auto crossedFresh = [&](const Pair& p) {
        std::uint64_t bits = crossesRay(p, roundAt(p.first), roundAt(p.second), to.at) ? goal : 0;
        for (std::size_t k = 0; k < starts.at.size(); ++k)
            if (crossesRay(p, roundAt(p.first), roundAt(p.second), starts.at[k].at))
                bits |= std::uint64_t{1} << k;
        return bits;
    };
    const auto touchesOut = [&](const Pair& p) { return out[p.first] != 0 || out[p.second] != 0; };

    // The forest without what is out of the way: which blocks hang together yet, and which pairs
    // join them again.
    std::vector<std::uint32_t> part(own);
    for (const Hangs& h : outward_)
        part[h.block] = h.on == h.block || out[h.on] != 0 || out[h.block] != 0 || h.by >= end
                            ? h.block
                            : part[h.on];
    std::vector<std::uint32_t> again;
    if (!opened.without.empty()) {
        Rounds parts(own);
        for (std::uint32_t e = 0; e < end; ++e) {
            const Pair& p = pairs_[e];
            if (inForest_[e] == 0 && part[p.first] != part[p.second] && !touchesOut(p) &&
                parts.join(part[p.first], part[p.second], 0))
                again.push_back(e);
        }
    }

    // The least forest with what stands there instead: all three in order of their gaps.
    Rounds rounds(all);
    std::vector<char> inTree(end, 0);
    std::vector<char> freshInTree(fresh.size(), 0);
    const auto join = [&](const Pair& p, std::uint64_t bits) {
        return static_cast<char>(rounds.join(static_cast<std::uint32_t>(p.first),
                                             static_cast<std::uint32_t>(p.second), bits));
    };
    std::size_t f = 0;
    std::size_t g = 0;
    std::size_t n = 0;
    for (;;) {
        while (f < forest_.size() && forest_[f] < end && touchesOut(pairs_[forest_[f]]))
            ++f;
        const std::uint32_t ofForest = f < forest_.size() ? std::min(forest_[f], end) : end;
        const std::uint32_t e = g < again.size() ? std::min(ofForest, again[g]) : ofForest;
        if (n < fresh.size() && (e == end || fresh[n] < pairs_[e])) {
            freshInTree[n] = join(fresh[n], crossedFresh(fresh[n]));
            ++n;
        } else if (e < end) {
            inTree[e] = join(pairs_[e], crossed(e));
            e == ofForest ? ++f : ++g;
        } else {
            break;
        }
    }

    // Every other pair closes a round with it.
    std::vector<std::uint64_t> from(all);
    for (std::uint32_t i = 0; i < all; ++i)
        from[i] = rounds.find(i).crossed;
    std::uint64_t open = goal - 1;
    if (starts.at.size() < mostStarts)
        open = (std::uint64_t{1} << starts.at.size()) - 1;
    const auto close = [&](const Pair& p, std::uint64_t bits) {
        const std::uint64_t odd = bits ^ from[p.first] ^ from[p.second];
        const std::uint64_t fenced = ((odd & goal) != 0 ? ~odd : odd) & open;
        open &= ~fenced;
        for (std::size_t k = 0; k < starts.at.size(); ++k)
            if ((fenced >> k & 1U) != 0 && p.gap < widthOf(k))
                best[k] =
                    Pinch{Length::millimetres(p.gap), p.first, p.second, p.onFirst, p.onSecond};
    };
    n = 0;
    for (std::uint32_t e = 0; open != 0 && (e < end || n < fresh.size());) {
        if (n < fresh.size() && (e == end || fresh[n] < pairs_[e])) {
            if (freshInTree[n] == 0)
                close(fresh[n], crossedFresh(fresh[n]));
            ++n;
        } else {
            if (inTree[e] == 0 && !touchesOut(pairs_[e]))
                close(pairs_[e], crossed(e));
            ++e;
        }
    }
    return best;
}

} // namespace mezzet
