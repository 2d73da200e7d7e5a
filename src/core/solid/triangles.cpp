#include "solid/solids.h"

#include "geometry/polygon.h"

#include <algorithm>

namespace mezzet {

namespace {

double turnAt(Vec2 a, Vec2 b, Vec2 c) {
    return cross(b - a, c - b);
}
bool inside(Vec2 a, Vec2 b, Vec2 c, Vec2 p) {
    const double d0 = cross(b - a, p - a);
    const double d1 = cross(c - b, p - b);
    const double d2 = cross(a - c, p - c);
    return d0 > 0 && d1 > 0 && d2 > 0;
}

} // namespace

std::vector<std::array<Vec2, 3>> trianglesOf(std::vector<Vec2> ring) {
    std::vector<std::array<Vec2, 3>> out;
    constexpr double same = 1e-6;
    // Corners that lie on one another, or on a straight stretch, are none.
    for (std::size_t i = 0; i < ring.size() && ring.size() > 2;)
        if (norm(ring[i] - ring[(i + 1) % ring.size()]) < same)
            ring.erase(ring.begin() + static_cast<std::ptrdiff_t>(i));
        else
            ++i;
    if (ring.size() < 3)
        return out;
    if (signedArea(ring) < 0)
        std::reverse(ring.begin(), ring.end());
    while (ring.size() > 3) {
        const std::size_t n = ring.size();
        std::size_t ear = n;
        for (std::size_t i = 0; i < n && ear == n; ++i) {
            const Vec2 a = ring[(i + n - 1) % n];
            const Vec2 b = ring[i];
            const Vec2 c = ring[(i + 1) % n];
            if (turnAt(a, b, c) <= same)
                continue;
            const bool free =
                std::none_of(ring.begin(), ring.end(), [&](Vec2 p) { return inside(a, b, c, p); });
            if (free)
                ear = i;
        }
        if (ear == n) {
            // Only straight corners are left, or a ring that crosses itself: the flattest goes.
            ear = 0;
            for (std::size_t i = 1; i < n; ++i)
                if (std::abs(turnAt(ring[(i + n - 1) % n], ring[i], ring[(i + 1) % n])) <
                    std::abs(turnAt(ring[(ear + n - 1) % n], ring[ear], ring[(ear + 1) % n])))
                    ear = i;
        } else {
            out.push_back({ring[(ear + n - 1) % n], ring[ear], ring[(ear + 1) % n]});
        }
        ring.erase(ring.begin() + static_cast<std::ptrdiff_t>(ear));
    }
    out.push_back({ring[0], ring[1], ring[2]});
    return out;
}

} // namespace mezzet
