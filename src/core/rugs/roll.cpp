#include "rugs/roll.h"

#include "geometry/polygon.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// The stretches of a cut that lie on the line x, a hair to one side of it.
std::vector<std::pair<double, double>> inside(const RollCut& c, double x) {
    std::vector<double> cross;
    for (std::size_t i = 0; i < c.outline.size(); ++i) {
        const Vec2 a = c.outline[i];
        const Vec2 b = c.outline[(i + 1) % c.outline.size()];
        if ((a.x <= x) != (b.x <= x))
            cross.push_back(a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x));
    }
    std::sort(cross.begin(), cross.end());
    std::vector<std::pair<double, double>> out;
    for (std::size_t i = 0; i + 1 < cross.size(); i += 2)
        if (cross[i + 1] - cross[i] > 0.01)
            out.emplace_back(cross[i], cross[i + 1]);
    return out;
}

/// Where a cut has carpet on both sides of the line x: what a seam there joins.
std::vector<std::pair<double, double>> joined(const RollCut& c, double x) {
    if (c.outline.empty())
        return {{0.0, c.along.mm()}};
    constexpr double aside = 0.01; // mm
    const auto left = inside(c, x - aside);
    const auto right = inside(c, x + aside);
    std::vector<std::pair<double, double>> out;
    for (const auto& [a, b] : left)
        for (const auto& [p, q] : right)
            if (std::min(b, q) - std::max(a, p) > 0.01)
                out.emplace_back(std::max(a, p), std::min(b, q));
    return out;
}

bool walkedOn(const RollCut& c, double x, double from, double to) {
    return std::any_of(c.noSeam.begin(), c.noSeam.end(), [&](const Box& b) {
        return x > b.low.x + hair && x < b.high.x - hair && to > b.low.y + hair &&
               from < b.high.y - hair;
    });
}

/// What a seam along the line x costs: its length, and far more where it is walked on.
double seamCost(const RollCut& c, double x) {
    constexpr double walked = 1e6; // mm: longer than any seam
    double out = 0;
    for (const auto& [a, b] : joined(c, x))
        out += b - a + (walkedOn(c, x, a, b) ? walked : 0);
    return out;
}

/// How far along the pile a cut reaches between two lines across the roll.
std::pair<double, double> reach(const RollCut& c, double x0, double x1) {
    if (c.outline.empty())
        return {0, c.along.mm()};
    double low = 1e300;
    double high = -1e300;
    const auto take = [&](double y) {
        low = std::min(low, y);
        high = std::max(high, y);
    };
    for (std::size_t i = 0; i < c.outline.size(); ++i) {
        const Vec2 a = c.outline[i];
        const Vec2 b = c.outline[(i + 1) % c.outline.size()];
        const double l = std::min(a.x, b.x);
        const double r = std::max(a.x, b.x);
        if (r < x0 + hair || l > x1 - hair)
            continue;
        if (r - l < hair) {
            take(a.y);
            take(b.y);
            continue;
        }
        for (const double x : {std::max(l, x0), std::min(r, x1)})
            take(a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x));
    }
    return low > high ? std::pair{0.0, 0.0} : std::pair{low, high};
}

/// The ways to divide a cut into the fewest lengths: where its seams are, across the roll.
std::vector<std::vector<double>> divisions(const RollCut& c, double usable) {
    const double across = c.across.mm();
    const int lengths = std::max(1, static_cast<int>(std::ceil(across / usable - 1e-9)));
    if (lengths == 1)
        return {{}};
    const int seams = lengths - 1;
    std::vector<std::vector<double>> out;
    std::vector<double> whole;
    std::vector<double> end;
    std::vector<double> even;
    for (int i = 1; i <= seams; ++i) {
        whole.push_back(usable * i);
        end.push_back(across - usable * (lengths - i));
        even.push_back(across * i / lengths);
    }
    // The least that its seams can cost, over places a finger apart and the outline's corners.
    std::vector<double> places;
    for (double x = 5; x < across; x += 5)
        places.push_back(x);
    for (const Vec2 p : c.outline)
        places.push_back(p.x);
    for (const Box& b : c.noSeam)
        for (const double x : {b.low.x, b.high.x})
            places.push_back(x);
    std::erase_if(places, [&](double x) { return x < 1 || x > across - 1; });
    std::sort(places.begin(), places.end());
    std::vector<double> cost;
    for (const double x : places)
        cost.push_back(seamCost(c, x));
    const std::size_t n = places.size();
    std::vector<std::vector<double>> least(static_cast<std::size_t>(seams),
                                           std::vector<double>(n, 1e300));
    std::vector<std::vector<std::size_t>> before(static_cast<std::size_t>(seams),
                                                 std::vector<std::size_t>(n, 0));
    for (std::size_t k = 0; k < static_cast<std::size_t>(seams); ++k)
        for (std::size_t i = 0; i < n; ++i) {
            if (k == 0) {
                if (places[i] <= usable + hair)
                    least[0][i] = cost[i];
                continue;
            }
            for (std::size_t j = i; j-- > 0 && places[i] - places[j] <= usable + hair;)
                if (least[k - 1][j] + cost[i] < least[k][i] - hair) {
                    least[k][i] = least[k - 1][j] + cost[i];
                    before[k][i] = j;
                }
        }
    std::size_t last = n;
    for (std::size_t i = 0; i < n; ++i)
        if (across - places[i] <= usable + hair &&
            (last == n || least.back()[i] < least.back()[last] - hair))
            last = i;
    const auto costOf = [&](const std::vector<double>& at) {
        double sum = 0;
        for (const double x : at)
            sum += seamCost(c, x);
        return sum;
    };
    double best = 1e300;
    if (last < n && least.back()[last] < 1e299) {
        std::vector<double> at(static_cast<std::size_t>(seams));
        for (std::size_t k = at.size(), i = last; k-- > 0; i = before[k][i])
            at[k] = places[i];
        best = costOf(at);
        out.push_back(std::move(at));
    }
    // Others that cost no more may lie better on the roll.
    for (auto* at : {&whole, &end, &even})
        if (costOf(*at) <= best + 1)
            out.push_back(*at);
    return out;
}

/// A finished piece's parts on the roll, as one way of dividing each cut has them.
RollPlan laid(const std::vector<RollCut>& cuts, const RollAsk& ask,
              const std::vector<std::vector<double>>& seamsAt) {
    RollPlan out;
    out.width = ask.width;
    std::vector<StripItem> items;
    const double more = 2 * ask.allowance.mm();
    int sets = 0;
    for (std::size_t i = 0; i < cuts.size(); ++i) {
        const RollCut& c = cuts[i];
        out.area +=
            c.outline.empty() ? c.across.mm() * c.along.mm() : std::abs(signedArea(c.outline));
        std::vector<double> lines{0};
        lines.insert(lines.end(), seamsAt[i].begin(), seamsAt[i].end());
        lines.push_back(c.across.mm());
        int parts = 0;
        for (std::size_t k = 0; k + 1 < lines.size(); ++k) {
            const auto [low, high] = reach(c, lines[k], lines[k + 1]);
            std::vector<double> along{low};
            for (const Length end : c.ends)
                if (end.mm() > along.back() + hair && end.mm() < high - hair)
                    along.push_back(end.mm());
            along.push_back(high);
            for (std::size_t j = 0; j + 1 < along.size(); ++j) {
                RollPart p;
                p.cut = i;
                p.part = ++parts;
                p.own.include(Vec2{lines[k], along[j]});
                p.own.include(Vec2{lines[k + 1], along[j + 1]});
                p.size = p.own.size() + Vec2{more, more};
                out.parts.push_back(p);
                items.push_back({p.size, lines.size() > 2 ? sets : -1, static_cast<int>(k)});
            }
            if (k == 0)
                continue;
            for (const auto& [a, b] : joined(c, lines[k]))
                out.seams.push_back({i, {lines[k], a}, {lines[k], b}, walkedOn(c, lines[k], a, b)});
        }
        sets += lines.size() > 2 ? 1 : 0;
    }
    const auto packed =
        packStrip(items, ask.width.mm(), ask.repeat.mm(), ask.drop.mm(), ask.goesOn);
    for (std::size_t i = 0; i < items.size(); ++i)
        out.parts[i].at = packed.at[i];
    out.length = Length::millimetres(packed.length);
    out.stopped = packed.stopped;
    return out;
}

} // namespace

double RollPlan::waste() const {
    const double all = width.mm() * length.mm();
    return all > 0 ? 1 - area / all : 0;
}

Result<RollPlan> layOnRoll(const std::vector<RollCut>& cuts, const RollAsk& ask) {
    if (cuts.empty())
        return Problem{"there is nothing to cut", "say at least one cut, like 9' x 12'"};
    if (cuts.size() > mostCuts)
        return Problem{worded("there are {} cuts", cuts.size()),
                       worded("at most {} are laid out at once", mostCuts)};
    if (ask.width <= Length{})
        return Problem{"the roll has no width", "say it like: 12'"};
    if (ask.allowance < Length{})
        return Problem{"a cutting allowance is not less than nothing", "say 0 for none"};
    if (ask.repeat < Length{} || ask.drop < Length{})
        return Problem{"a pattern's repeat is a length", "say it like: repeat 18"};
    if (ask.drop > Length{} && ask.repeat <= Length{})
        return Problem{"a pattern that drops has a repeat", "say both: repeat 18, drop 9"};
    const double usable = ask.width.mm() - 2 * ask.allowance.mm();
    const auto shown = [&](Length l) { return writeGap(l, ask.shown); };
    if (usable <= 0)
        return Problem{worded("an allowance of {} at each edge leaves nothing of a roll {} wide",
                              shown(ask.allowance), shown(ask.width)),
                       "say a smaller one, or a wider roll"};
    std::vector<std::vector<std::vector<double>>> ways;
    std::size_t most = 1;
    for (const RollCut& c : cuts) {
        if (c.across <= Length{} || c.along <= Length{})
            return Problem{worded("{} has a size of nothing", c.name), "say its two sizes"};
        if (c.across.mm() > usable + hair && !ask.seams)
            return Problem{worded("{} is {} across, {} with its allowances, and the roll {}",
                                  c.name, shown(c.across), shown(c.across + ask.allowance * 2),
                                  shown(ask.width)),
                           "allow seams, or take a wider roll"};
        ways.push_back(divisions(c, usable));
        most = std::max(most, ways.back().size());
    }
    std::optional<RollPlan> best;
    for (std::size_t k = 0; k < most; ++k) {
        std::vector<std::vector<double>> at;
        at.reserve(ways.size());
        for (const auto& w : ways)
            at.push_back(w[std::min(k, w.size() - 1)]);
        auto plan = laid(cuts, ask, at);
        if (!best || plan.length.mm() < best->length.mm() - hair)
            best = std::move(plan);
        if (best->stopped)
            break;
    }
    return *best;
}

Result<std::vector<RollPlan>> layOnRolls(const std::vector<RollCut>& cuts, RollAsk ask,
                                         const std::vector<Length>& widths) {
    std::vector<RollPlan> out;
    Problem last{"no roll is known", "say one, like 12'"};
    for (const Length w : widths) {
        ask.width = w;
        auto plan = layOnRoll(cuts, ask);
        if (plan)
            out.push_back(std::move(*plan));
        else
            last = plan.problem();
    }
    if (out.empty())
        return last;
    std::stable_sort(out.begin(), out.end(), [](const RollPlan& a, const RollPlan& b) {
        return a.waste() < b.waste() - 1e-12;
    });
    return out;
}

} // namespace mezzet
