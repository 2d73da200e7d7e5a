// Rows, columns, steps, grids, and the same over and under a line.
#include "hang/group_parts.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace mezzet {

namespace {

// ---- lines: rows, columns, steps ----

/// Which edge a row's things share.
enum class Share { centre, low, high };

std::vector<Vec2> inLine(const GroupAsk& ask, const std::vector<int>& order, Share share) {
    const bool upright = ask.form == GroupForm::column;
    std::vector<Vec2> out(ask.items.size());
    double run = 0;
    double climbed = 0;
    double before = 0;
    bool first = true;
    for (const int i : order) {
        const auto& item = ask.items[static_cast<std::size_t>(i)];
        const double along = (upright ? item.height : item.width).mm();
        const double across = (upright ? item.width : item.height).mm();
        const double middle = run + along / 2;
        if (ask.form == GroupForm::stepped && !first)
            climbed += (middle - before) * ask.slope;
        before = middle;
        first = false;
        const double off = share == Share::centre ? 0
                           : share == Share::low  ? across / 2
                                                  : -across / 2;
        out[static_cast<std::size_t>(i)] =
            upright ? Vec2{off, -middle} : Vec2{middle, off + climbed};
        run += along + ask.gap.mm();
    }
    return out;
}

} // namespace

/// Orders for which swapping any two makes nothing better, from several starts.
std::vector<GroupAnswer> inLines(const GroupAsk& ask) {
    const auto n = ask.items.size();
    std::vector<GroupAnswer> all;
    Random random(ask.seed);
    std::vector<int> given(n);
    std::iota(given.begin(), given.end(), 0);
    std::vector<int> bySize = given;
    const auto area = [&](int i) {
        const auto& x = ask.items[static_cast<std::size_t>(i)];
        return x.width.mm() * x.height.mm();
    };
    std::stable_sort(bySize.begin(), bySize.end(), [&](int a, int b) { return area(a) > area(b); });
    // The largest in the middle, the rest by turns to either side.
    std::vector<int> peaked(n);
    for (std::size_t k = 0; k < n; ++k)
        peaked[k % 2 == 0 ? n / 2 + (k + 1) / 2 - (n % 2 == 0 && k > 0 ? 1 : 0)
                          : n / 2 - (k + 1) / 2] = bySize[k];
    std::vector<std::vector<int>> starts{given, bySize};
    if (std::is_permutation(peaked.begin(), peaked.end(), given.begin()))
        starts.push_back(peaked);
    for (int i = 0; i < 6; ++i) {
        auto mixed = given;
        std::shuffle(mixed.begin(), mixed.end(), random);
        starts.push_back(mixed);
    }
    for (const Share share : {Share::centre, Share::low, Share::high}) {
        for (auto order : starts) {
            auto best = answerOf(ask, inLine(ask, order, share));
            for (bool better = n <= 60; better;) {
                better = false;
                for (std::size_t i = 0; i < n; ++i)
                    for (std::size_t k = i + 1; k < n; ++k) {
                        std::swap(order[i], order[k]);
                        auto next = answerOf(ask, inLine(ask, order, share));
                        if (next.cost < best.cost - 1e-9) {
                            best = std::move(next);
                            better = true;
                        } else {
                            std::swap(order[i], order[k]);
                        }
                    }
                if (ask.goesOn && !ask.goesOn())
                    break;
            }
            all.push_back(std::move(best));
        }
        // A step shares its middle line; edges that step too read as a mistake.
        if (ask.form == GroupForm::stepped)
            break;
    }
    return all;
}

// ---- grids ----

std::vector<GroupAnswer> inGrids(const GroupAsk& ask) {
    const auto n = ask.items.size();
    std::vector<GroupAnswer> all;
    std::vector<int> given(n);
    std::iota(given.begin(), given.end(), 0);
    auto tallFirst = given;
    std::stable_sort(tallFirst.begin(), tallFirst.end(), [&](int a, int b) {
        return ask.items[static_cast<std::size_t>(a)].height >
               ask.items[static_cast<std::size_t>(b)].height;
    });
    auto wideFirst = given;
    std::stable_sort(wideFirst.begin(), wideFirst.end(), [&](int a, int b) {
        return ask.items[static_cast<std::size_t>(a)].width >
               ask.items[static_cast<std::size_t>(b)].width;
    });
    // Four and more make rows and columns: one line of them is a row, and no grid.
    constexpr std::size_t least = 4;
    const std::size_t first = n < least ? 1 : 2;
    const std::size_t last = n < least ? n : (n + 1) / 2;
    for (std::size_t columns = first; columns <= last; ++columns) {
        const std::size_t rows = (n + columns - 1) / columns;
        for (int way = 0; way < 3; ++way) {
            const auto& order = way == 0 ? given : way == 1 ? tallFirst : wideFirst;
            const bool byColumn = way == 2; // columns of like widths, filled from the top
            std::vector<double> wide(columns, 0);
            std::vector<double> high(rows, 0);
            const auto cell = [&](std::size_t k) {
                return byColumn ? std::pair(k / rows, k % rows)
                                : std::pair(k % columns, k / columns);
            };
            bool fits = true;
            for (std::size_t k = 0; k < n; ++k) {
                const auto [c, r] = cell(k);
                if (c >= columns || r >= rows) {
                    fits = false;
                    break;
                }
                const auto& item = ask.items[static_cast<std::size_t>(order[k])];
                wide[c] = std::max(wide[c], item.width.mm());
                high[r] = std::max(high[r], item.height.mm());
            }
            if (!fits)
                continue;
            // A last row that is not full stands in the middle.
            std::vector<Vec2> centres(n);
            for (std::size_t k = 0; k < n; ++k) {
                const auto [c, r] = cell(k);
                double x = 0;
                for (std::size_t i = 0; i < c; ++i)
                    x += wide[i] + ask.gap.mm();
                double y = 0;
                for (std::size_t i = 0; i < r; ++i)
                    y += high[i] + ask.gap.mm();
                double shift = 0;
                if (!byColumn && r + 1 == rows && n % columns != 0) {
                    double open = 0;
                    for (std::size_t i = n % columns; i < columns; ++i)
                        open += wide[i] + ask.gap.mm();
                    shift = open / 2;
                }
                centres[static_cast<std::size_t>(order[k])] = {x + wide[c] / 2 + shift,
                                                               -(y + high[r] / 2)};
            }
            all.push_back(answerOf(ask, std::move(centres)));
            // Over furniture and along walls a grid lies: a tall one is taken when nothing else is
            // (common practice).
            constexpr double tall = 1.4;
            if (!ask.within && all.back().size.y > tall * all.back().size.x)
                all.back().cost += 1;
        }
    }
    return all;
}

// ---- the same over and under a line ----

std::vector<GroupAnswer> mirroredOver(const GroupAsk& ask) {
    const auto n = ask.items.size();
    // Pairs of the nearest sizes: what is over the line has its like under it.
    std::vector<std::pair<std::size_t, std::size_t>> pairs;
    std::vector<bool> used(n, false);
    std::vector<int> leftOver;
    const auto unlike = [&](std::size_t a, std::size_t b) {
        return abs(ask.items[a].width - ask.items[b].width) +
               abs(ask.items[a].height - ask.items[b].height);
    };
    for (;;) {
        std::optional<std::pair<std::size_t, std::size_t>> best;
        for (std::size_t a = 0; a < n; ++a)
            for (std::size_t b = a + 1; b < n; ++b)
                if (!used[a] && !used[b] &&
                    (!best || unlike(a, b) < unlike(best->first, best->second)))
                    best = {a, b};
        if (!best)
            break;
        used[best->first] = used[best->second] = true;
        pairs.push_back(*best);
    }
    for (std::size_t i = 0; i < n; ++i)
        if (!used[i])
            leftOver.push_back(ask.items[i].id);
    std::vector<GroupAnswer> all;
    std::vector<std::size_t> order(pairs.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    Random random(ask.seed);
    const auto laid = [&] {
        GroupAnswer a;
        a.centres.resize(n);
        a.leftOut = leftOver;
        double run = 0;
        for (const std::size_t k : order) {
            const auto& top = ask.items[pairs[k].first];
            const auto& low = ask.items[pairs[k].second];
            const double wide = std::max(top.width, low.width).mm();
            a.centres[pairs[k].first] = {run + wide / 2, (ask.gap / 2 + top.height / 2).mm()};
            a.centres[pairs[k].second] = {run + wide / 2, -(ask.gap / 2 + low.height / 2).mm()};
            run += wide + ask.gap.mm();
        }
        measure(ask, a);
        return a;
    };
    for (int start = 0; start < 8 && !pairs.empty(); ++start) {
        auto best = laid();
        for (bool better = true; better;) {
            better = false;
            for (std::size_t i = 0; i < order.size(); ++i)
                for (std::size_t k = i + 1; k < order.size(); ++k) {
                    std::swap(order[i], order[k]);
                    auto next = laid();
                    if (next.cost < best.cost - 1e-9) {
                        best = std::move(next);
                        better = true;
                    } else {
                        std::swap(order[i], order[k]);
                    }
                }
        }
        all.push_back(std::move(best));
        std::shuffle(order.begin(), order.end(), random);
    }
    return all;
}

} // namespace mezzet
