#pragma once

#include "geometry/polygon.h"
#include "room/room.h"

#include <fmt/format.h>

#include <functional>
#include <random>

namespace mezzet::test {

/// A right-angled room with outside corners, clockwise, wall A along x; mm.
inline std::vector<Vec2> steppedRoom(std::mt19937& random) {
    std::uniform_real_distribution<double> run(2000, 5500);
    const double w = run(random) + 2000;
    const double h = run(random) + 1500;
    const double a = w * 0.35;
    const double b = h * 0.4;
    switch (random() % 3) {
    case 0: // an oblong
        return {{0, 0}, {w, 0}, {w, h}, {0, h}};
    case 1: // an L
        return {{0, 0}, {w, 0}, {w, b}, {a, b}, {a, h}, {0, h}};
    default: // a corner cut off
        return {{0, 0}, {w, 0}, {w, h - b}, {w - a, h}, {0, h}};
    }
}

inline double insideDegrees(const std::vector<Vec2>& c, std::size_t i) {
    const std::size_t n = c.size();
    const Vec2 here = c[(i + 1) % n] - c[i];
    const Vec2 next = c[(i + 2) % n] - c[(i + 1) % n];
    return 180 - difference(directionOf(next), directionOf(here)).inDegrees();
}

/// A diagonal that a tape can run: inside the room, past no other wall.
inline bool tapeRuns(const std::vector<Vec2>& c, std::size_t a, std::size_t b) {
    const std::size_t n = c.size();
    if ((a + 1) % n == b || (b + 1) % n == a || a == b || !insideOutline(c, (c[a] + c[b]) / 2))
        return false;
    for (std::size_t i = 0; i < n; ++i) {
        const std::size_t j = (i + 1) % n;
        if (i != a && i != b && j != a && j != b && crossing({c[a], c[b]}, {c[i], c[j]}))
            return false;
    }
    return true;
}

/// The notes of a room, each length passed through `said`: the run and the place in the order they
/// are written; with every diagonal a tape can run.
inline std::string bracedNotes(const std::vector<Vec2>& c,
                               const std::function<std::string(double, int)>& said,
                               const char* head = "") {
    std::string out = head;
    int k = 0;
    const std::size_t n = c.size();
    for (std::size_t i = 0; i < n; ++i) {
        out += fmt::format("wall {} {}\n", wallName(static_cast<int>(i)),
                           said(norm(c[(i + 1) % n] - c[i]), k++));
        const double a = insideDegrees(c, i);
        if (std::abs(a - 270) < 1e-6)
            out += "corner out\n";
        else if (std::abs(a - 90) > 1e-6)
            out += fmt::format("corner {:.1f}\n", a);
    }
    for (std::size_t a = 0; a < n; ++a)
        for (std::size_t b = a + 2; b < n; ++b)
            if (tapeRuns(c, a, b))
                out += fmt::format("diagonal {} to {} {}\n", wallName(static_cast<int>(a)),
                                   wallName(static_cast<int>(b)), said(norm(c[b] - c[a]), k++));
    return out;
}

} // namespace mezzet::test
