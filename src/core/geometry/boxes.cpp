#include "geometry/boxes.h"

#include "geometry/polygon.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The places of corners along one way, each once, in order.
std::vector<double> placesOf(std::span<const Vec2> outline, double Vec2::*way, double slack) {
    std::vector<double> all;
    for (const Vec2 p : outline)
        all.push_back(p.*way);
    std::sort(all.begin(), all.end());
    all.erase(
        std::unique(all.begin(), all.end(), [&](double a, double b) { return b - a <= slack; }),
        all.end());
    return all;
}

/// Cut along x: runs of each row of cells, those over one another that are alike put together.
std::vector<Box> cutAlongX(std::span<const Vec2> outline, const std::vector<double>& xs,
                           const std::vector<double>& ys) {
    std::vector<Box> done;
    std::vector<Box> open; // still growing down
    for (std::size_t j = 0; j + 1 < ys.size(); ++j) {
        std::vector<Box> row;
        for (std::size_t i = 0; i + 1 < xs.size(); ++i) {
            if (!insideOutline(outline, {(xs[i] + xs[i + 1]) / 2, (ys[j] + ys[j + 1]) / 2}))
                continue;
            if (!row.empty() && row.back().high.x == xs[i])
                row.back().high.x = xs[i + 1];
            else
                row.push_back({{xs[i], ys[j]}, {xs[i + 1], ys[j + 1]}});
        }
        std::vector<Box> next;
        for (Box& b : row) {
            const auto above = std::find_if(open.begin(), open.end(), [&](const Box& o) {
                return o.low.x == b.low.x && o.high.x == b.high.x;
            });
            if (above != open.end()) {
                b.low.y = above->low.y;
                open.erase(above);
            }
            next.push_back(b);
        }
        done.insert(done.end(), open.begin(), open.end());
        open = std::move(next);
    }
    done.insert(done.end(), open.begin(), open.end());
    return done;
}

Box flipped(const Box& b) {
    return {{b.low.y, b.low.x}, {b.high.y, b.high.x}};
}

double largest(const std::vector<Box>& all) {
    double out = 0;
    for (const Box& b : all)
        out = std::max(out, b.size().x * b.size().y);
    return out;
}

} // namespace

std::vector<Box> boxesOf(std::span<const Vec2> outline, double slack) {
    for (std::size_t i = 0; i < outline.size(); ++i) {
        const Vec2 edge = outline[(i + 1) % outline.size()] - outline[i];
        if (std::abs(edge.x) > slack && std::abs(edge.y) > slack)
            return {};
    }
    const auto xs = placesOf(outline, &Vec2::x, slack);
    const auto ys = placesOf(outline, &Vec2::y, slack);
    auto along = cutAlongX(outline, xs, ys);
    std::vector<Vec2> turned;
    for (auto it = outline.rbegin(); it != outline.rend(); ++it)
        turned.push_back({it->y, it->x});
    auto across = cutAlongX(turned, ys, xs);
    for (Box& b : across)
        b = flipped(b);
    const bool second = across.size() < along.size() ||
                        (across.size() == along.size() && largest(across) > largest(along));
    return second ? across : along;
}

} // namespace mezzet
