// Salons and spirals: packed by annealing over sequence pairs, or round what is pinned.
#include "hang/group_parts.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace mezzet {

namespace {

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
            area_ += w_.back() * h_.back();
        }
    }

    /// Gives the outline's size.
    Vec2 pack(const std::vector<int>& first, const std::vector<int>& second) {
        const auto n = first.size();
        const double gap = ask_.gap.mm();
        Vec2 size;
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
            size = {std::max(size.x, x + w_[j]), std::max(size.y, y + h_[j])};
        }
        return size;
    }

    /// What the packing costs; some value over `most` when it costs more than that.
    double cost(const std::vector<int>& first, const std::vector<int>& second, double most) {
        const Vec2 size = pack(first, second);
        // Most are too large, or of a wrong shape: the rest needs no reckoning then.
        const double least = leastCost(ask_, size, area_, wanted_);
        if (least > most + 1e-9)
            return least;
        boxes_.clear();
        for (std::size_t i = 0; i < w_.size(); ++i)
            boxes_.add({x_[i] + w_[i] / 2, y_[i] + h_[i] / 2}, ask_.items[i]);
        const Measures m = measuresOf(boxes_);
        const double cheap = costWithoutSeam(ask_, boxes_, m, wanted_, 0);
        if (cheap > most)
            return cheap;
        // A seam that takes it over is not measured to the end; one of 1 is all there can be.
        const double over = (most - cheap) / seamWeighs * (1 + 1e-9);
        return cheap + seamWeighs * seamOf(boxes_, m.size, std::min(over, 2.0));
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
    double area_ = 0; ///< of the things together, mm2
    std::vector<std::size_t> place_;
    std::vector<double> w_, h_, x_, y_;
    Boxes boxes_;
};

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

} // namespace

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

std::vector<Vec2> packedBy(const std::vector<int>& first, const std::vector<int>& second,
                           const GroupAsk& ask) {
    Packer packer(ask);
    packer.pack(first, second);
    return packer.centres();
}

} // namespace mezzet
