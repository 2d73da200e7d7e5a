#include "ways/path.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <queue>

namespace mezzet {

namespace {

constexpr int mostAcross = 1200;

/// How far chords may stand off a curve.
constexpr Length chords = Length::millimetres(4);

/// Whether a place is in an outline, or nearer to it than so many mm.
bool isNear(const std::vector<Vec2>& corners, Vec2 p, double by) {
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const Vec2 off = p - nearestOn({corners[i], corners[(i + 1) % corners.size()]}, p);
        if (dot(off, off) < by * by)
            return true;
    }
    return corners.size() > 2 && insideOutline(corners, p);
}

/// Which cells are too close to something.
class Grid {
public:
    Grid(const PathAsked& asked) : cell(asked.cell.mm()) {
        Box box;
        box.include(asked.from);
        box.include(asked.to);
        std::vector<std::vector<Vec2>> shapes;
        for (const Block& b : *asked.blocks) {
            if (std::find(asked.without.begin(), asked.without.end(), b.owner) !=
                asked.without.end())
                continue;
            shapes.push_back(outline(b.shape, chords));
            for (const Vec2 p : shapes.back())
                box.include(p);
        }
        low_ = box.low;
        across_ = std::min(static_cast<int>(box.size().x / cell) + 2, mostAcross);
        down_ = std::min(static_cast<int>(box.size().y / cell) + 2, mostAcross);
        closed_.assign(static_cast<std::size_t>(across_) * static_cast<std::size_t>(down_), 0);
        // At an end there may be less room; what is kept grows with the distance from it.
        const double half = asked.half.mm() - 0.75 * cell;
        for (const auto& corners : shapes) {
            Box b;
            for (const Vec2 p : corners)
                b.include(p);
            const auto [x0, y0] = at(b.low - Vec2{half, half});
            const auto [x1, y1] = at(b.high + Vec2{half, half});
            for (int y = std::max(y0, 0); y <= std::min(y1, down_ - 1); ++y)
                for (int x = std::max(x0, 0); x <= std::min(x1, across_ - 1); ++x) {
                    auto& c = closed_[index(x, y)];
                    if (c != 0)
                        continue;
                    const Vec2 p = middle(x, y);
                    const double end = std::min(norm(p - asked.from), norm(p - asked.to));
                    if (isNear(corners, p, std::min(half, std::max(end - cell, 1.0))))
                        c = 1;
                }
        }
    }

    [[nodiscard]] std::pair<int, int> at(Vec2 p) const {
        return {static_cast<int>(std::floor((p.x - low_.x) / cell)),
                static_cast<int>(std::floor((p.y - low_.y) / cell))};
    }
    [[nodiscard]] Vec2 middle(int x, int y) const {
        return low_ + Vec2{(x + 0.5) * cell, (y + 0.5) * cell};
    }
    [[nodiscard]] bool open(int x, int y) const {
        return x >= 0 && y >= 0 && x < across_ && y < down_ && closed_[index(x, y)] == 0;
    }
    [[nodiscard]] std::size_t index(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(across_) +
               static_cast<std::size_t>(x);
    }
    [[nodiscard]] std::size_t size() const { return closed_.size(); }
    [[nodiscard]] int across() const { return across_; }

    [[nodiscard]] bool clear(Vec2 a, Vec2 b) const {
        const int steps = std::max(1, static_cast<int>(norm(b - a) / (cell / 2)));
        for (int i = 0; i <= steps; ++i) {
            const auto [x, y] = at(a + (b - a) * (static_cast<double>(i) / steps));
            if (!open(x, y))
                return false;
        }
        return true;
    }

private:
    double cell; ///< mm
    Vec2 low_;
    int across_ = 0;
    int down_ = 0;
    std::vector<char> closed_;
};

} // namespace

std::vector<Vec2> drawnPath(const PathAsked& asked) {
    const Grid grid(asked);
    const auto [sx, sy] = grid.at(asked.from);
    const auto goal = grid.at(asked.to);
    const int tx = goal.first;
    const int ty = goal.second;
    if (!grid.open(sx, sy) || !grid.open(tx, ty))
        return {};
    struct Step {
        double guess;
        int x;
        int y;
        bool operator<(const Step& o) const { return guess > o.guess; }
    };
    std::vector<double> far(grid.size(), 1e300);
    std::vector<std::size_t> before(grid.size(), grid.size());
    std::priority_queue<Step> next;
    const auto left = [&](int x, int y) { return norm(Vec2{double(x - tx), double(y - ty)}); };
    far[grid.index(sx, sy)] = 0;
    next.push({left(sx, sy), sx, sy});
    while (!next.empty()) {
        const Step s = next.top();
        next.pop();
        const std::size_t here = grid.index(s.x, s.y);
        if (s.x == tx && s.y == ty)
            break;
        if (s.guess > far[here] + left(s.x, s.y) + 1e-9)
            continue;
        for (int dy = -1; dy <= 1; ++dy) {
            for (int dx = -1; dx <= 1; ++dx) {
                const int x = s.x + dx;
                const int y = s.y + dy;
                if ((dx == 0 && dy == 0) || !grid.open(x, y) || !grid.open(s.x, y) ||
                    !grid.open(x, s.y))
                    continue;
                const double d = far[here] + (dx != 0 && dy != 0 ? std::numbers::sqrt2 : 1.0);
                const std::size_t there = grid.index(x, y);
                if (d >= far[there] - 1e-9)
                    continue;
                far[there] = d;
                before[there] = here;
                next.push({d + left(x, y), x, y});
            }
        }
    }
    const std::size_t end = grid.index(tx, ty);
    if (far[end] >= 1e299)
        return {};
    std::vector<Vec2> cells;
    for (std::size_t i = end; i != grid.size(); i = before[i])
        cells.push_back(grid.middle(static_cast<int>(i % static_cast<std::size_t>(grid.across())),
                                    static_cast<int>(i / static_cast<std::size_t>(grid.across()))));
    std::reverse(cells.begin(), cells.end());
    cells.front() = asked.from;
    cells.back() = asked.to;
    // Pulled straight: from each corner to the farthest place in sight.
    std::vector<Vec2> out{cells.front()};
    for (std::size_t i = 0; i + 1 < cells.size();) {
        std::size_t k = cells.size() - 1;
        while (k > i + 1 && !grid.clear(cells[i], cells[k]))
            --k;
        out.push_back(cells[k]);
        i = k;
    }
    return out;
}

Circle largestCircle(const std::vector<Block>& blocks, const std::vector<Vec2>& edge) {
    Circle best;
    if (edge.size() < 3)
        return best;
    struct Known {
        const Convex* shape;
        Vec2 centre;
        double reach;
    };
    std::vector<Known> known;
    for (const Block& b : blocks) {
        const auto corners = outline(b.shape, chords);
        Box box;
        for (const Vec2 p : corners)
            box.include(p);
        known.push_back({&b.shape, box.centre(), norm(box.size()) / 2 + chords.mm()});
    }
    const auto clearance = [&](Vec2 p) {
        double near = 1e300;
        for (const Known& k : known) {
            if (norm(p - k.centre) - k.reach >= near)
                continue;
            near = std::min(near, gapBetween(*k.shape, pointPart(p)).apart.mm());
        }
        return insideOutline(edge, p) ? near : -near;
    };
    struct Cell {
        Vec2 middle;
        double half;
        double most; ///< the largest radius any centre in it could have
        bool operator<(const Cell& o) const { return most < o.most; }
    };
    std::priority_queue<Cell> cells;
    double radius = 0;
    const auto look = [&](Vec2 p, double half) {
        const double d = clearance(p);
        if (d > radius) {
            radius = d;
            best.centre = p;
        }
        if (d + half * std::numbers::sqrt2 > radius + 0.5)
            cells.push({p, half, d + half * std::numbers::sqrt2});
    };
    Box box;
    for (const Vec2 p : edge)
        box.include(p);
    const double start = std::max(std::min(box.size().x, box.size().y) / 4, 50.0);
    for (double x = box.low.x + start; x < box.high.x + start; x += 2 * start)
        for (double y = box.low.y + start; y < box.high.y + start; y += 2 * start)
            look({x, y}, start);
    while (!cells.empty() && cells.top().most > radius + 0.5) {
        const Cell c = cells.top();
        cells.pop();
        const double h = c.half / 2;
        for (const Vec2 step : {Vec2{-h, -h}, Vec2{h, -h}, Vec2{h, h}, Vec2{-h, h}})
            look(c.middle + step, h);
    }
    best.radius = Length::millimetres(radius);
    return best;
}

} // namespace mezzet
