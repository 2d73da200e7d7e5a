#include "geometry/lane.h"

#include <algorithm>

namespace mezzet {

namespace {

/// The lowest point of a convex part along u, among those with side·p = level, a level the part
/// reaches. Found by turning the direction of support until the level lies between two points.
Vec2 lowestAtLevel(const Convex& c, Vec2 u, Vec2 side, double level) {
    // Direction -u turned toward +side or -side, whichever way the level lies.
    const Vec2 start = support(c, -u);
    const double sign = level > dot(start, side) ? 1 : -1;
    Vec2 before = start;
    Vec2 after = support(c, side * sign);
    double low = 0;
    double high = 1.5707963267948966;
    for (int i = 0; i < 60; ++i) {
        const double t = (low + high) / 2;
        const Vec2 p = support(c, -u * std::cos(t) + side * (sign * std::sin(t)));
        if ((dot(p, side) - level) * sign < 0) {
            before = p;
            low = t;
        } else {
            after = p;
            high = t;
        }
    }
    // On a straight edge the two are its ends; on a curve they are as good as one.
    const double span = dot(after - before, side);
    return std::abs(span) < 1e-12
               ? before
               : before + (after - before) * ((level - dot(before, side)) / span);
}

/// The first point of a part in the lane, wherever the start is.
std::optional<Vec2> lowest(const Convex& c, const Lane& lane, Vec2 u) {
    const Vec2 side = quarter(lane.along);
    const double middle = dot(lane.from, side);
    const double left = middle - lane.halfWidth.mm();
    const double right = middle + lane.halfWidth.mm();
    const double from = dot(support(c, -side), side);
    const double to = dot(support(c, side), side);
    const double q = quiet.mm();
    if (to <= left + q || from >= right - q)
        return {};
    const Vec2 p = support(c, -u);
    const double at = dot(p, side);
    if (at >= left && at <= right)
        return p;
    return lowestAtLevel(c, u, side, at < left ? left : right);
}

} // namespace

std::optional<Vec2> firstInLane(const Lane& lane, const Shape& s) {
    std::optional<Vec2> best;
    double least = 0;
    const double start = dot(lane.from, lane.along);
    for (const Convex& c : s.all()) {
        const auto first = lowest(c, lane, lane.along);
        const auto last = lowest(c, lane, -lane.along);
        if (!first || dot(*last, lane.along) <= start + quiet.mm())
            continue;
        const double ahead = std::max(dot(*first, lane.along), start);
        if (!best || ahead < least) {
            best = *first + lane.along * (ahead - dot(*first, lane.along));
            least = ahead;
        }
    }
    return best;
}

} // namespace mezzet
