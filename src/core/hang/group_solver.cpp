#include "hang/group_solver.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numeric>
#include <random>

namespace mezzet {

namespace {

/// How much each part of the cost weighs against the others.
constexpr double emptyWeighs = 1.0;
constexpr double balanceWeighs = 0.5;
constexpr double seamWeighs = 0.3;
constexpr double shapeWeighs = 0.6;
constexpr double overWeighs = 4.0;
constexpr double cornerWeighs = 0.4;
constexpr double outwardWeighs = 0.8;
/// An outline nobody asked for is so much wider than high.
constexpr double usualShape = 1.5;
/// Answers differ clearly when things moved by this share of the diagonal, on average.
constexpr double clearlyDifferent = 0.12;
/// In a salon edges are kept off one line by so much, where they would nearly be on one.
constexpr double touching = 1e-6;

/// Outlines where they lie, a place an item that hangs; kept and filled anew, so that trying many
/// ways allocates nothing.
struct Boxes {
    std::vector<double> left, right, low, high;
    std::vector<std::pair<double, double>> crossed; ///< longestGutter's own

    void clear() {
        for (auto* v : {&left, &right, &low, &high})
            v->clear();
    }
    void add(Vec2 centre, const GroupItem& item) {
        const double w = item.width.mm() / 2;
        const double h = item.height.mm() / 2;
        left.push_back(centre.x - w);
        right.push_back(centre.x + w);
        low.push_back(centre.y - h);
        high.push_back(centre.y + h);
    }
    [[nodiscard]] std::size_t size() const { return left.size(); }
};

/// What is measured of them.
struct Measures {
    Vec2 middle;
    Vec2 size;
    double fill = 0;
    double balance = 0;
};

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

/// The longest way along one direction at a place where no thing is crossed: `lo`, `hi` are the
/// extents across, `from`, `to` along. The gutter must lie between things on both sides.
double longestGutter(const std::vector<double>& lo, const std::vector<double>& hi,
                     const std::vector<double>& from, const std::vector<double>& to,
                     std::vector<std::pair<double, double>>& crossed) {
    double best = 0;
    const auto [low, high] = std::pair{*std::min_element(from.begin(), from.end()),
                                       *std::max_element(to.begin(), to.end())};
    const double first = *std::min_element(hi.begin(), hi.end());
    const double last = *std::max_element(lo.begin(), lo.end());
    for (std::size_t k = 0; k < lo.size(); ++k) {
        // Just outside the far edge of each thing.
        const double at = hi[k] + touching * 10;
        if (at < first || at > last)
            continue;
        crossed.clear();
        for (std::size_t i = 0; i < lo.size(); ++i)
            if (lo[i] < at && hi[i] > at)
                crossed.emplace_back(from[i], to[i]);
        std::sort(crossed.begin(), crossed.end());
        double start = low;
        for (const auto& [f, t] : crossed) {
            best = std::max(best, f - start);
            start = std::max(start, t);
        }
        best = std::max(best, high - start);
    }
    return best;
}

double seamOf(Boxes& b, Vec2 size) {
    if (b.size() < 3)
        return 0;
    const double upright =
        longestGutter(b.left, b.right, b.low, b.high, b.crossed) / std::max(size.y, 1.0);
    const double level =
        longestGutter(b.low, b.high, b.left, b.right, b.crossed) / std::max(size.x, 1.0);
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
    const double half = std::max(std::hypot(m.size.x, m.size.y) / 2, 1.0);
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

bool isFree(GroupForm f) {
    return f == GroupForm::salon || f == GroupForm::spiral || f == GroupForm::asPlaced;
}

/// All of the cost but the gutter, which takes longest to find.
double costWithoutSeam(const GroupAsk& ask, const Boxes& b, const Measures& m, Vec2 wanted,
                       std::size_t leftOut) {
    if (m.size.x <= 0 || m.size.y <= 0)
        return 1e9;
    double cost =
        emptyWeighs * (1 - m.fill) + balanceWeighs * m.balance + 1.0 * static_cast<double>(leftOut);
    const bool free = isFree(ask.form);
    const bool grid = ask.form == GroupForm::grid;
    if (free || grid || ask.within) {
        const double ratio = (m.size.x / m.size.y) / (wanted.x / wanted.y);
        cost += shapeWeighs * std::abs(std::log(ratio)) * (free ? 1 : grid ? 0.5 : 0.2);
    }
    if (ask.within)
        cost += overWeighs * (std::max(m.size.x / ask.within->x - 1, 0.0) +
                              std::max(m.size.y / ask.within->y - 1, 0.0));
    if (ask.form == GroupForm::salon)
        cost += cornerWeighs * emptyCorners(b, m);
    if (ask.form == GroupForm::spiral)
        cost += outwardWeighs * outward(b, m);
    return cost;
}

bool overlap(const GroupAsk& ask, const GroupAnswer& a) {
    const Boxes b = boxesOf(ask, a);
    const double gap = ask.gap.mm() - 0.01;
    for (std::size_t i = 0; i < b.size(); ++i)
        for (std::size_t k = i + 1; k < b.size(); ++k)
            if (b.left[i] < b.right[k] + gap && b.left[k] < b.right[i] + gap &&
                b.low[i] < b.high[k] + gap && b.low[k] < b.high[i] + gap)
                return true;
    return false;
}

using Random = std::mt19937;

double unitOf(Random& r) {
    return static_cast<double>(r()) / static_cast<double>(Random::max());
}

GroupAnswer answerOf(const GroupAsk& ask, std::vector<Vec2> centres) {
    GroupAnswer a;
    a.centres = std::move(centres);
    measure(ask, a);
    return a;
}

/// Keeps the best, and those clearly different from all that are better.
std::vector<GroupAnswer> distinct(std::vector<GroupAnswer> all, int wanted) {
    std::stable_sort(all.begin(), all.end(),
                     [](const GroupAnswer& a, const GroupAnswer& b) { return a.cost < b.cost; });
    std::vector<GroupAnswer> out;
    for (auto& a : all) {
        if (static_cast<int>(out.size()) >= wanted)
            break;
        if (std::all_of(out.begin(), out.end(), [&](const GroupAnswer& b) {
                return differenceOf(a, b) >= clearlyDifferent;
            }))
            out.push_back(std::move(a));
    }
    return out;
}

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

/// Orders for which swapping any two makes nothing better, from several starts.
std::vector<GroupAnswer> lines(const GroupAsk& ask) {
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

std::vector<GroupAnswer> grids(const GroupAsk& ask) {
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
    for (std::size_t columns = 1; columns <= n; ++columns) {
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
        }
    }
    return all;
}

// ---- the same over and under a line ----

std::vector<GroupAnswer> mirrored(const GroupAsk& ask) {
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

// ---- salons and spirals ----

/// The packing a pair of orders means, and what it costs, in arrays that are kept.
class Packer {
public:
    explicit Packer(const GroupAsk& ask) : ask_(ask), wanted_(wantedSize(ask)) {
        const auto n = ask.items.size();
        place_.resize(n);
        x_.resize(n);
        y_.resize(n);
        for (const auto& i : ask.items) {
            w_.push_back(i.width.mm());
            h_.push_back(i.height.mm());
        }
    }

    void pack(const std::vector<int>& first, const std::vector<int>& second) {
        const auto n = first.size();
        const double gap = ask_.gap.mm();
        for (std::size_t i = 0; i < n; ++i)
            place_[static_cast<std::size_t>(first[i])] = i;
        // In the second order whatever pushes a thing comes before it.
        for (std::size_t k = 0; k < n; ++k) {
            const auto j = static_cast<std::size_t>(second[k]);
            double x = 0;
            double y = 0;
            for (std::size_t m = 0; m < k; ++m) {
                const auto i = static_cast<std::size_t>(second[m]);
                if (place_[i] < place_[j])
                    x = std::max(x, x_[i] + w_[i] + gap);
                else
                    y = std::max(y, y_[i] + h_[i] + gap);
            }
            x_[j] = x;
            y_[j] = y;
        }
    }

    /// What the packing costs; some value over `most` when it costs more than that.
    double cost(const std::vector<int>& first, const std::vector<int>& second, double most) {
        pack(first, second);
        boxes_.clear();
        for (std::size_t i = 0; i < w_.size(); ++i)
            boxes_.add({x_[i] + w_[i] / 2, y_[i] + h_[i] / 2}, ask_.items[i]);
        const Measures m = measuresOf(boxes_);
        const double cheap = costWithoutSeam(ask_, boxes_, m, wanted_, 0);
        return cheap > most ? cheap : cheap + seamWeighs * seamOf(boxes_, m.size);
    }

    [[nodiscard]] std::vector<Vec2> centres() const {
        std::vector<Vec2> out(w_.size());
        for (std::size_t i = 0; i < w_.size(); ++i)
            out[i] = {x_[i] + w_[i] / 2, y_[i] + h_[i] / 2};
        return out;
    }

private:
    const GroupAsk& ask_;
    Vec2 wanted_;
    std::vector<std::size_t> place_;
    std::vector<double> w_, h_, x_, y_;
    Boxes boxes_;
};

std::vector<GroupAnswer> annealed(const GroupAsk& ask) {
    const auto n = ask.items.size();
    std::vector<GroupAnswer> all;
    Random random(ask.seed);
    Packer packer(ask);
    const int runs = n <= 12 ? 10 : 8;
    const int steps = n <= 3 ? 300 : n <= 7 ? 4000 : n <= 12 ? 9000 : 8000;
    for (int run = 0; run < runs; ++run) {
        std::vector<int> first(n);
        std::iota(first.begin(), first.end(), 0);
        auto second = first;
        std::shuffle(first.begin(), first.end(), random);
        std::shuffle(second.begin(), second.end(), random);
        double now = packer.cost(first, second, 1e300);
        double best = now;
        auto best1 = first;
        auto best2 = second;
        auto was1 = first;
        auto was2 = second;
        for (int step = 0; step < steps && n > 1; ++step) {
            if (step % 256 == 0 && ask.goesOn && !ask.goesOn())
                break;
            const double heat = 0.12 * std::pow(0.002, static_cast<double>(step) / steps);
            const auto a = random() % n;
            auto b = random() % n;
            if (a == b)
                b = (b + 1) % n;
            was1 = first;
            was2 = second;
            switch (random() % 4) {
            case 0:
                std::swap(first[a], first[b]);
                break;
            case 1:
                std::swap(second[a], second[b]);
                break;
            case 2: { // the same two things in both
                const int x = first[a];
                const int y = first[b];
                std::swap(first[a], first[b]);
                std::swap(*std::find(second.begin(), second.end(), x),
                          *std::find(second.begin(), second.end(), y));
                break;
            }
            default: { // one thing to another place
                auto& order = random() % 2 == 0 ? first : second;
                const int x = order[a];
                order.erase(order.begin() + static_cast<std::ptrdiff_t>(a));
                order.insert(order.begin() + static_cast<std::ptrdiff_t>(b), x);
            }
            }
            // The chance is drawn first, so that what is too dear is not measured to the end.
            const double most = now - heat * std::log(std::max(unitOf(random), 1e-12));
            const double next = packer.cost(first, second, most);
            if (next <= most) {
                now = next;
                if (now < best) {
                    best = now;
                    best1 = first;
                    best2 = second;
                }
            } else {
                first.swap(was1);
                second.swap(was2);
            }
        }
        packer.pack(best1, best2);
        all.push_back(answerOf(ask, packer.centres()));
    }
    return all;
}

/// Where the next thing can lie so that it is a gap from something that lies already: beside each,
/// level with its foot, middle or head, and over and under it.
std::vector<Vec2> placesBeside(const GroupAsk& ask, const std::vector<std::size_t>& laid,
                               const std::vector<Vec2>& at, std::size_t item) {
    std::vector<Vec2> out;
    const double gap = ask.gap.mm();
    const double w = ask.items[item].width.mm() / 2;
    const double h = ask.items[item].height.mm() / 2;
    for (const std::size_t k : laid) {
        const double kw = ask.items[k].width.mm() / 2;
        const double kh = ask.items[k].height.mm() / 2;
        for (const double side : {-1.0, 1.0})
            for (const double part : {-1.0, 0.0, 1.0}) {
                out.push_back({at[k].x + side * (kw + gap + w), at[k].y + part * (kh - h)});
                out.push_back({at[k].x + part * (kw - w), at[k].y + side * (kh + gap + h)});
            }
        // In the angle between two.
        for (const std::size_t m : laid) {
            if (m == k)
                continue;
            const double mh = ask.items[m].height.mm() / 2;
            for (const double sx : {-1.0, 1.0})
                for (const double sy : {-1.0, 1.0})
                    out.push_back({at[k].x + sx * (kw + gap + w), at[m].y + sy * (mh + gap + h)});
        }
    }
    return out;
}

/// Lays the rest round what is pinned, in an order: each where it makes the outline least.
GroupAnswer roundPins(const GroupAsk& ask, const std::vector<std::size_t>& order) {
    GroupAnswer a;
    a.centres.resize(ask.items.size());
    std::vector<std::size_t> laid;
    Box b;
    const auto include = [&](Box& box, std::size_t i, Vec2 c) {
        const Vec2 half{ask.items[i].width.mm() / 2, ask.items[i].height.mm() / 2};
        box.include(c - half);
        box.include(c + half);
    };
    for (std::size_t i = 0; i < ask.items.size(); ++i)
        if (ask.items[i].pinned) {
            a.centres[i] = *ask.items[i].pinned;
            include(b, i, a.centres[i]);
            laid.push_back(i);
        }
    const double gap = ask.gap.mm() - 1e-3;
    const double wantedRatio = wantedSize(ask).x / std::max(wantedSize(ask).y, 1.0);
    for (const std::size_t i : order) {
        std::optional<Vec2> best;
        double least = 1e300;
        if (laid.empty())
            best = Vec2{0, 0};
        for (const Vec2 c : placesBeside(ask, laid, a.centres, i)) {
            const double w = ask.items[i].width.mm() / 2;
            const double h = ask.items[i].height.mm() / 2;
            bool free = true;
            for (const std::size_t k : laid)
                if (std::abs(c.x - a.centres[k].x) < w + ask.items[k].width.mm() / 2 + gap &&
                    std::abs(c.y - a.centres[k].y) < h + ask.items[k].height.mm() / 2 + gap) {
                    free = false;
                    break;
                }
            if (!free)
                continue;
            Box next = b;
            include(next, i, c);
            const Vec2 s = next.size();
            if (ask.within && (s.x > ask.within->x + 1 || s.y > ask.within->y + 1))
                continue;
            const double side = std::max(s.x, s.y * wantedRatio);
            const double cost = side * side / wantedRatio + 0.3 * s.x * s.y +
                                0.05 * dot(c - b.centre(), c - b.centre());
            if (cost < least) {
                least = cost;
                best = c;
            }
        }
        if (!best) {
            a.leftOut.push_back(ask.items[i].id);
            continue;
        }
        a.centres[i] = *best;
        include(b, i, *best);
        laid.push_back(i);
    }
    measure(ask, a);
    return a;
}

std::vector<GroupAnswer> byOrder(const GroupAsk& ask) {
    std::vector<GroupAnswer> all;
    std::vector<std::size_t> rest;
    for (std::size_t i = 0; i < ask.items.size(); ++i)
        if (!ask.items[i].pinned)
            rest.push_back(i);
    std::stable_sort(rest.begin(), rest.end(), [&](std::size_t a, std::size_t b) {
        return ask.items[a].width.mm() * ask.items[a].height.mm() >
               ask.items[b].width.mm() * ask.items[b].height.mm();
    });
    Random random(ask.seed);
    const auto n = rest.size();
    const int runs = 5;
    const int steps = n <= 1 ? 1 : n <= 12 ? 250 : n <= 24 ? 60 : 14;
    for (int run = 0; run < runs; ++run) {
        auto order = rest;
        if (run > 0)
            std::shuffle(order.begin(), order.end(), random);
        auto best = roundPins(ask, order);
        for (int step = 1; step < steps; ++step) {
            if (ask.goesOn && !ask.goesOn())
                break;
            auto next = order;
            std::swap(next[random() % n], next[random() % n]);
            auto a = roundPins(ask, next);
            if (a.leftOut.size() < best.leftOut.size() ||
                (a.leftOut.size() == best.leftOut.size() && a.cost < best.cost)) {
                best = std::move(a);
                order = next;
            }
        }
        all.push_back(std::move(best));
    }
    return all;
}

} // namespace

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

std::vector<Vec2> packedBy(const std::vector<int>& first, const std::vector<int>& second,
                           const GroupAsk& ask) {
    Packer packer(ask);
    packer.pack(first, second);
    return packer.centres();
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

std::vector<GroupAnswer> arrangeGroup(const GroupAsk& ask) {
    if (ask.items.empty())
        return {};
    const bool pins = std::any_of(ask.items.begin(), ask.items.end(),
                                  [](const GroupItem& i) { return i.pinned.has_value(); });
    std::vector<GroupAnswer> all;
    if (pins) {
        all = byOrder(ask);
    } else {
        switch (ask.form) {
        case GroupForm::row:
        case GroupForm::column:
        case GroupForm::stepped:
            all = lines(ask);
            break;
        case GroupForm::grid:
            all = grids(ask);
            break;
        case GroupForm::mirrored:
            all = mirrored(ask);
            break;
        case GroupForm::spiral:
        case GroupForm::salon:
        case GroupForm::asPlaced:
            all = annealed(ask);
            if (ask.within)
                for (auto& a : byOrder(ask))
                    all.push_back(std::move(a));
            break;
        }
    }
    std::erase_if(all, [&](const GroupAnswer& a) { return overlap(ask, a); });
    return distinct(std::move(all), ask.answers);
}

std::optional<MatchingSet> setToMatch(const std::vector<GroupItem>& pool, Vec2 wanted, Length gap,
                                      std::size_t most) {
    std::optional<MatchingSet> best;
    double least = 1e300;
    const std::size_t n = std::min<std::size_t>(pool.size(), 16);
    const auto tried = [&](const std::vector<std::size_t>& of) {
        double area = 0;
        for (const std::size_t i : of)
            area += pool[i].width.mm() * pool[i].height.mm();
        // What can't fill half of it, or is more than it, needs no trying.
        if (area < wanted.x * wanted.y * 0.5 || area > wanted.x * wanted.y)
            return;
        for (const GroupForm form : {GroupForm::row, GroupForm::column, GroupForm::grid}) {
            GroupAsk ask;
            ask.form = form;
            ask.gap = gap;
            ask.answers = 8;
            for (const std::size_t i : of)
                ask.items.push_back(pool[i]);
            for (auto& a : arrangeGroup(ask)) {
                const double off =
                    std::max(std::abs(a.size.x / wanted.x - 1), std::abs(a.size.y / wanted.y - 1));
                // Of two that match alike, the one with less bare wall in it.
                const double bare = off + (1 - a.fill) / 4;
                if (bare < least - 1e-9) {
                    least = bare;
                    best = MatchingSet{of, a, off};
                }
            }
        }
    };
    std::vector<std::size_t> of;
    const auto choose = [&](auto&& self, std::size_t from) -> void {
        if (of.size() >= 2)
            tried(of);
        if (of.size() == most)
            return;
        for (std::size_t i = from; i < n; ++i) {
            of.push_back(i);
            self(self, i + 1);
            of.pop_back();
        }
    };
    choose(choose, 0);
    return best;
}

} // namespace mezzet
