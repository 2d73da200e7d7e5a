#include "geometry/polygon.h"

#include <algorithm>

namespace mezzet {

double signedArea(std::span<const Vec2> c) {
    double twice = 0;
    for (std::size_t i = 0; i < c.size(); ++i)
        twice += cross(c[i], c[(i + 1) % c.size()]);
    return twice / 2;
}

bool insideOutline(std::span<const Vec2> c, Vec2 p) {
    bool in = false;
    for (std::size_t i = 0; i < c.size(); ++i) {
        const Vec2 a = c[i];
        const Vec2 b = c[(i + 1) % c.size()];
        if (norm(p - nearestOn({a, b}, p)) < 1e-9)
            return true;
        if ((a.y > p.y) != (b.y > p.y) && p.x < a.x + (p.y - a.y) / (b.y - a.y) * (b.x - a.x))
            in = !in;
    }
    return in;
}

Vec2 centroid(std::span<const Vec2> c) {
    const double area = signedArea(c);
    Vec2 sum;
    if (std::abs(area) < 1e-9) {
        for (const Vec2 p : c)
            sum = sum + p;
        return c.empty() ? sum : sum / static_cast<double>(c.size());
    }
    for (std::size_t i = 0; i < c.size(); ++i) {
        const Vec2 a = c[i];
        const Vec2 b = c[(i + 1) % c.size()];
        sum = sum + (a + b) * cross(a, b);
    }
    return sum / (6 * area);
}

std::optional<Vec2> crossing(Segment s, Segment t) {
    const Vec2 d = s.to - s.from;
    const Vec2 e = t.to - t.from;
    const double det = cross(d, e);
    if (std::abs(det) < 1e-12 * (norm(d) * norm(e) + 1)) {
        // Side by side: they touch where an end of one lies on the other.
        for (const Vec2 p : {t.from, t.to})
            if (norm(p - nearestOn(s, p)) < 1e-6)
                return p;
        for (const Vec2 p : {s.from, s.to})
            if (norm(p - nearestOn(t, p)) < 1e-6)
                return p;
        return {};
    }
    const double u = cross(t.from - s.from, e) / det;
    const double v = cross(t.from - s.from, d) / det;
    constexpr double slack = 1e-9;
    if (u < -slack || u > 1 + slack || v < -slack || v > 1 + slack)
        return {};
    return s.from + d * u;
}

std::optional<std::pair<int, int>> selfCrossing(std::span<const Vec2> c) {
    const std::size_t n = c.size();
    for (std::size_t i = 0; i < n; ++i) {
        for (std::size_t j = i + 2; j < n; ++j) {
            if (i == 0 && j + 1 == n)
                continue;
            if (crossing({c[i], c[(i + 1) % n]}, {c[j], c[(j + 1) % n]}))
                return std::pair{static_cast<int>(i), static_cast<int>(j)};
        }
    }
    return {};
}

} // namespace mezzet
