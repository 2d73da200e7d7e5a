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

std::vector<Vec2> clipped(std::span<const Vec2> c, Vec2 normal, double offset) {
    constexpr double slack = 1e-9; // mm
    std::vector<Vec2> kept;
    for (std::size_t i = 0; i < c.size(); ++i) {
        const Vec2 p = c[i];
        const Vec2 q = c[(i + 1) % c.size()];
        const double dp = dot(normal, p) - offset;
        const double dq = dot(normal, q) - offset;
        if (dp >= -slack)
            kept.push_back(p);
        if ((dp >= -slack) != (dq >= -slack))
            kept.push_back(p + (q - p) * (dp / (dp - dq)));
    }
    return kept;
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

std::vector<Vec2> convexHull(std::vector<Vec2> p) {
    std::sort(p.begin(), p.end(),
              [](Vec2 a, Vec2 b) { return a.x < b.x || (a.x == b.x && a.y < b.y); });
    p.erase(std::unique(p.begin(), p.end()), p.end());
    if (p.size() < 3)
        return p;
    std::vector<Vec2> out(2 * p.size());
    std::size_t n = 0;
    const auto bends = [&](Vec2 c) {
        return cross(out[n - 1] - out[n - 2], c - out[n - 2]) <= 1e-9;
    };
    for (const Vec2 c : p) {
        while (n >= 2 && bends(c))
            --n;
        out[n++] = c;
    }
    const std::size_t lower = n + 1;
    for (std::size_t i = p.size() - 1; i-- > 0;) {
        while (n >= lower && bends(p[i]))
            --n;
        out[n++] = p[i];
    }
    out.resize(n - 1);
    return out;
}

std::vector<double> crossingsAlong(std::span<const Vec2> corners, Vec2 from, Vec2 way) {
    std::vector<double> out;
    const Vec2 side = quarter(way);
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const Vec2 a = corners[i] - from;
        const Vec2 b = corners[(i + 1) % corners.size()] - from;
        const double p = dot(a, side);
        const double q = dot(b, side);
        if ((p <= 0) != (q <= 0))
            out.push_back(dot(a, way) + (dot(b, way) - dot(a, way)) * p / (p - q));
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace mezzet
