#pragma once

#include "scheme/surface.h"

#include <array>
#include <cmath>
#include <vector>

namespace mezzet {

[[nodiscard]] constexpr Vec3 operator-(Vec3 a, Vec3 b) {
    return {a.x - b.x, a.y - b.y, a.z - b.z};
}
[[nodiscard]] constexpr double dot(Vec3 a, Vec3 b) {
    return a.x * b.x + a.y * b.y + a.z * b.z;
}
[[nodiscard]] constexpr Vec3 cross(Vec3 a, Vec3 b) {
    return {a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x};
}
[[nodiscard]] inline double norm(Vec3 a) {
    return std::sqrt(dot(a, a));
}
/// Of length 1; nothing for what has no length.
[[nodiscard]] inline Vec3 unit(Vec3 a) {
    const double n = norm(a);
    return n > 0 ? a * (1 / n) : Vec3{};
}
[[nodiscard]] constexpr Vec3 lifted(Vec2 p, double z) {
    return {p.x, p.y, z};
}
/// A triangle cut in halves across its longest side until no side is longer than that; of flat or
/// of solid points.
template <class Point>
void cutInHalves(const std::array<Point, 3>& t, double longest,
                 std::vector<std::array<Point, 3>>& out) {
    std::size_t at = 0;
    double length = 0;
    for (std::size_t i = 0; i < 3; ++i)
        if (const double l = norm(t[(i + 1) % 3] - t[i]); l > length) {
            length = l;
            at = i;
        }
    if (length <= longest) {
        out.push_back(t);
        return;
    }
    const Point a = t[at];
    const Point b = t[(at + 1) % 3];
    const Point c = t[(at + 2) % 3];
    const Point m = (a + b) * 0.5;
    cutInHalves<Point>({a, m, c}, longest, out);
    cutInHalves<Point>({m, b, c}, longest, out);
}

/// Two unit directions square to a unit normal and to each other, so that the three are
/// right-handed.
struct Frame3 {
    Vec3 u;
    Vec3 v;
};
[[nodiscard]] inline Frame3 across(Vec3 normal) {
    const Vec3 other = std::abs(normal.z) < 0.9 ? Vec3{0, 0, 1} : Vec3{1, 0, 0};
    const Vec3 u = unit(cross(other, normal));
    return {u, cross(normal, u)};
}

} // namespace mezzet
