#include "fits/tip.h"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <numbers>
#include <queue>

namespace mezzet {

namespace {

constexpr int turns = 180;
constexpr double step = 10;
constexpr double spare = 4;

struct Span {
    double low = 1e300;
    double high = -1e300;
    void take(double x) {
        low = std::min(low, x);
        high = std::max(high, x);
    }
};

std::vector<Vec2> turnedBy(const std::vector<Vec2>& corners, int turn) {
    const double a = 2 * std::numbers::pi * turn / turns;
    std::vector<Vec2> out;
    out.reserve(corners.size());
    for (const Vec2 p : corners)
        out.push_back(
            {p.x * std::cos(a) - p.y * std::sin(a), p.x * std::sin(a) + p.y * std::cos(a)});
    return out;
}

/// How wide what lies between two levels is: of every edge the part between them.
Span between(const std::vector<Vec2>& corners, double low, double high) {
    Span out;
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const Vec2 a = corners[i];
        const Vec2 b = corners[(i + 1) % corners.size()];
        if (std::max(a.y, b.y) < low || std::min(a.y, b.y) > high)
            continue;
        const auto at = [&](double y) {
            return std::abs(b.y - a.y) < 1e-9 ? a.x : a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y);
        };
        for (const Vec2 p : {a, b})
            if (p.y >= low && p.y <= high)
                out.take(p.x);
        for (const double y : {low, high})
            if ((a.y < y) != (b.y < y))
                out.take(at(y));
    }
    return out;
}

} // namespace

Tipped tipThrough(const std::vector<Vec2>& outline, double gap, double thickness) {
    Tipped out;
    if (outline.size() < 3 || gap <= spare)
        return out;
    Vec2 middle;
    for (const Vec2 p : outline)
        middle = middle + p / static_cast<double>(outline.size());
    std::vector<Vec2> own;
    double reach = 0;
    for (const Vec2 p : outline) {
        own.push_back(p - middle);
        reach = std::max(reach, norm(own.back()));
    }
    const int deep = static_cast<int>(std::ceil((2 * reach + thickness) / step)) + 2;
    std::vector<std::vector<Vec2>> at;
    at.reserve(turns);
    for (int t = 0; t < turns; ++t)
        at.push_back(turnedBy(own, t));
    // How far in its middle is, at a row of the grid.
    const auto depthOf = [&](int row) { return -reach - step + row * step; };
    const auto spanAt = [&](int t, int row) {
        return between(at[static_cast<std::size_t>(t)], -depthOf(row), thickness - depthOf(row));
    };
    const auto index = [&](int t, int row) {
        return static_cast<std::size_t>(row) * turns + static_cast<std::size_t>(t);
    };
    std::vector<std::int8_t> fits(static_cast<std::size_t>(deep + 1) * turns, -1);
    const auto isFree = [&](int t, int row) {
        auto& known = fits[index(t, row)];
        if (known < 0) {
            const Span s = spanAt(t, row);
            known = s.high - s.low <= gap - spare ? 1 : 0;
        }
        return known == 1;
    };
    std::vector<int> from(fits.size(), -2);
    std::queue<int> next;
    for (int t = 0; t < turns; ++t) {
        from[index(t, 0)] = -1;
        next.push(static_cast<int>(index(t, 0)));
    }
    int end = -1;
    while (!next.empty() && end < 0) {
        const int here = next.front();
        next.pop();
        const int t = here % turns;
        const int row = here / turns;
        if (row == deep) {
            end = here;
            break;
        }
        for (const auto& [dt, dr] :
             {std::pair{0, 1}, std::pair{1, 0}, std::pair{turns - 1, 0}, std::pair{0, -1}}) {
            const int nt = (t + dt) % turns;
            const int nr = row + dr;
            if (nr < 0 || from[index(nt, nr)] != -2 || !isFree(nt, nr))
                continue;
            from[index(nt, nr)] = here;
            next.push(static_cast<int>(index(nt, nr)));
        }
    }
    if (end < 0)
        return out;
    out.passes = true;
    std::vector<int> path;
    for (int i = end; i >= 0; i = from[static_cast<std::size_t>(i)])
        path.push_back(i);
    std::reverse(path.begin(), path.end());
    constexpr std::size_t shown = 5;
    for (std::size_t i = 0; i < shown; ++i) {
        const int cell = path[i * (path.size() - 1) / (shown - 1)];
        const int t = cell % turns;
        const int row = cell / turns;
        const Span s = spanAt(t, row);
        // In the middle of the play it has; before and beyond the wall in the middle of the gap.
        const double across = s.high >= s.low ? gap / 2 - (s.low + s.high) / 2 : gap / 2;
        TipStep one;
        for (const Vec2 p : at[static_cast<std::size_t>(t)])
            one.push_back(p + Vec2{across, depthOf(row)});
        out.steps.push_back(std::move(one));
    }
    return out;
}

} // namespace mezzet
