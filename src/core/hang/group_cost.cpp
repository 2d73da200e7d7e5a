// What an arrangement costs, and what is measured of it.
#include "hang/group_parts.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace mezzet {

namespace {

/// How much each part of the cost weighs against the others.
constexpr double emptyWeighs = 1.0;
constexpr double balanceWeighs = 0.5;
constexpr double shapeWeighs = 0.6;
constexpr double overWeighs = 4.0;
constexpr double cornerWeighs = 0.4;
constexpr double outwardWeighs = 0.8;
/// An outline nobody asked for is so much wider than high.
constexpr double usualShape = 1.5;
/// Just off an edge, mm.
constexpr double touching = 1e-6;

/// The longest way along one direction at a place where no thing is crossed: `lo`, `hi` are the
/// extents across, `from`, `to` along. The gutter must lie between things on both sides. Not looked
/// for to the end once it is longer than `most`.
double longestGutter(const std::vector<double>& lo, const std::vector<double>& hi,
                     const std::vector<double>& from, const std::vector<double>& to,
                     std::vector<std::size_t>& inOrder, double most) {
    double best = 0;
    inOrder.resize(lo.size());
    std::iota(inOrder.begin(), inOrder.end(), std::size_t{0});
    std::sort(inOrder.begin(), inOrder.end(),
              [&from](std::size_t a, std::size_t b) { return from[a] < from[b]; });
    const auto [low, high] = std::pair{*std::min_element(from.begin(), from.end()),
                                       *std::max_element(to.begin(), to.end())};
    const double first = *std::min_element(hi.begin(), hi.end());
    const double last = *std::max_element(lo.begin(), lo.end());
    for (std::size_t k = 0; k < lo.size(); ++k) {
        // Just outside the far edge of each thing.
        const double at = hi[k] + touching * 10;
        if (at < first || at > last)
            continue;
        double start = low;
        for (const std::size_t i : inOrder) {
            if (lo[i] >= at || hi[i] <= at)
                continue;
            best = std::max(best, from[i] - start);
            start = std::max(start, to[i]);
        }
        best = std::max(best, high - start);
        if (best > most)
            break;
    }
    return best;
}

/// What is left open at the outline's corners, as shares of its sides.
double emptyCorners(const Boxes& b, const Measures& m) {
    double sum = 0;
    const Vec2 low = m.middle - m.size / 2;
    const Vec2 high = m.middle + m.size / 2;
    for (const bool left : {true, false})
        for (const bool foot : {true, false}) {
            double best = 1e300;
            for (std::size_t i = 0; i < b.size(); ++i) {
                const double dx = left ? b.left[i] - low.x : high.x - b.right[i];
                const double dy = foot ? b.low[i] - low.y : high.y - b.high[i];
                best = std::min(best, dx / std::max(m.size.x, 1.0) + dy / std::max(m.size.y, 1.0));
            }
            sum += std::min(best, 1.0);
        }
    return sum / 4;
}

/// How far out the larger ones are, and the largest.
double outward(const Boxes& b, const Measures& m) {
    double total = 0;
    double sum = 0;
    double largest = 0;
    double largestFar = 0;
    const double half = std::max(norm(m.size) / 2, 1.0);
    for (std::size_t i = 0; i < b.size(); ++i) {
        const double area = (b.right[i] - b.left[i]) * (b.high[i] - b.low[i]);
        const Vec2 c = Vec2{b.left[i] + b.right[i], b.low[i] + b.high[i]} / 2 - m.middle;
        const double far = std::sqrt(dot(c, c)) / half;
        sum += area * far;
        total += area;
        if (area > largest) {
            largest = area;
            largestFar = far;
        }
    }
    return total > 0 ? sum / total + largestFar : 0;
}

} // namespace

bool leftOut(const GroupAnswer& a, int id) {
    return std::find(a.leftOut.begin(), a.leftOut.end(), id) != a.leftOut.end();
}

Boxes boxesOf(const GroupAsk& ask, const GroupAnswer& a) {
    Boxes b;
    for (std::size_t i = 0; i < ask.items.size(); ++i)
        if (!leftOut(a, ask.items[i].id))
            b.add(a.centres[i], ask.items[i]);
    return b;
}

Measures measuresOf(const Boxes& b) {
    Measures m;
    Box all;
    double area = 0;
    Vec2 moment;
    for (std::size_t i = 0; i < b.size(); ++i) {
        all.include(Vec2{b.left[i], b.low[i]});
        all.include(Vec2{b.right[i], b.high[i]});
        const double own = (b.right[i] - b.left[i]) * (b.high[i] - b.low[i]);
        area += own;
        moment = moment + Vec2{b.left[i] + b.right[i], b.low[i] + b.high[i]} * (own / 2);
    }
    m.middle = all.centre();
    m.size = all.size();
    m.fill = area / std::max(m.size.x * m.size.y, 1.0);
    const Vec2 off = moment / std::max(area, 1e-9) - m.middle;
    m.balance = std::sqrt(4 * off.x * off.x / std::max(m.size.x * m.size.x, 1.0) +
                          4 * off.y * off.y / std::max(m.size.y * m.size.y, 1.0));
    return m;
}

double seamOf(Boxes& b, Vec2 size, double most) {
    if (b.size() < 3)
        return 0;
    const double high = std::max(size.y, 1.0);
    const double wide = std::max(size.x, 1.0);
    const double upright =
        longestGutter(b.left, b.right, b.low, b.high, b.inOrder, most * high) / high;
    if (upright > most)
        return std::min(upright, 1.0);
    const double level =
        longestGutter(b.low, b.high, b.left, b.right, b.inOrder, most * wide) / wide;
    return std::min(std::max(upright, level), 1.0);
}

Vec2 wantedSize(const GroupAsk& ask) {
    if (ask.within)
        return *ask.within;
    double area = 0;
    for (const auto& i : ask.items)
        area += (i.width + ask.gap).mm() * (i.height + ask.gap).mm();
    const double high = std::sqrt(area / usualShape);
    return {high * usualShape, high};
}

bool isFree(GroupForm f) {
    return f == GroupForm::salon || f == GroupForm::spiral || f == GroupForm::asPlaced;
}

namespace {

/// How far an outline is from the shape that is wanted.
double shapeCost(const GroupAsk& ask, Vec2 size, Vec2 wanted) {
    const bool free = isFree(ask.form);
    const bool grid = ask.form == GroupForm::grid;
    if (!free && !grid && !ask.within)
        return 0;
    const double ratio = (size.x / size.y) / (wanted.x / wanted.y);
    return shapeWeighs * std::abs(std::log(ratio)) * (free ? 1 : grid ? 0.5 : 0.2);
}

/// How far an outline is past what it is to lie within.
double overCost(const GroupAsk& ask, Vec2 size) {
    if (!ask.within)
        return 0;
    return overWeighs *
           (std::max(size.x / ask.within->x - 1, 0.0) + std::max(size.y / ask.within->y - 1, 0.0));
}

} // namespace

double leastCost(const GroupAsk& ask, Vec2 size, double area, Vec2 wanted) {
    if (size.x <= 0 || size.y <= 0)
        return 0;
    return emptyWeighs * (1 - area / std::max(size.x * size.y, 1.0)) +
           shapeCost(ask, size, wanted) + overCost(ask, size);
}

/// All of the cost but the gutter, which takes longest to find.
double costWithoutSeam(const GroupAsk& ask, const Boxes& b, const Measures& m, Vec2 wanted,
                       std::size_t leftOut) {
    if (m.size.x <= 0 || m.size.y <= 0)
        return 1e9;
    double cost =
        emptyWeighs * (1 - m.fill) + balanceWeighs * m.balance + 1.0 * static_cast<double>(leftOut);
    cost += shapeCost(ask, m.size, wanted);
    cost += overCost(ask, m.size);
    if (ask.form == GroupForm::salon)
        cost += cornerWeighs * emptyCorners(b, m);
    if (ask.form == GroupForm::spiral)
        cost += outwardWeighs * outward(b, m);
    return cost;
}

GroupAnswer answerOf(const GroupAsk& ask, std::vector<Vec2> centres) {
    GroupAnswer a;
    a.centres = std::move(centres);
    measure(ask, a);
    return a;
}

double costOf(const GroupAsk& ask, const GroupAnswer& a) {
    const Boxes b = boxesOf(ask, a);
    if (b.size() == 0)
        return 1e9;
    return costWithoutSeam(ask, b, measuresOf(b), wantedSize(ask), a.leftOut.size()) +
           (isFree(ask.form) ? seamWeighs * a.seam : 0);
}

void measure(const GroupAsk& ask, GroupAnswer& a) {
    Boxes b = boxesOf(ask, a);
    if (b.size() == 0) {
        a.cost = 1e9;
        return;
    }
    const Measures m = measuresOf(b);
    for (Vec2& c : a.centres)
        c = c - m.middle;
    a.size = m.size;
    a.fill = m.fill;
    a.balance = m.balance;
    a.seam = isFree(ask.form) ? seamOf(b, m.size) : 0;
    a.cost = costOf(ask, a);
}

double differenceOf(const GroupAnswer& a, const GroupAnswer& b) {
    if (a.centres.size() != b.centres.size() || a.leftOut != b.leftOut)
        return 1;
    double sum = 0;
    for (std::size_t i = 0; i < a.centres.size(); ++i)
        sum += norm(a.centres[i] - b.centres[i]);
    const double diagonal = std::max(norm(a.size), norm(b.size));
    const double shape = norm(a.size - b.size) / std::max(diagonal, 1.0);
    return std::max(sum / static_cast<double>(std::max<std::size_t>(a.centres.size(), 1)) /
                        std::max(diagonal, 1.0),
                    shape);
}

} // namespace mezzet
