// The packing of a strip: a skyline, branch and bound over it for few, annealing for many.
#include "rugs/roll.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

namespace mezzet {

namespace {

/// The upper edge of what lies on the roll: stretches from its left edge to its right.
class Skyline {
public:
    explicit Skyline(double width) : parts_{{0, width, 0}} {}

    struct Part {
        double from;
        double width;
        double up;
    };

    /// The lowest stretch, the leftmost of them.
    [[nodiscard]] std::size_t lowest() const {
        std::size_t best = 0;
        for (std::size_t i = 1; i < parts_.size(); ++i)
            if (parts_[i].up < parts_[best].up - hair)
                best = i;
        return best;
    }
    [[nodiscard]] const Part& at(std::size_t i) const { return parts_[i]; }
    [[nodiscard]] std::size_t size() const { return parts_.size(); }
    [[nodiscard]] double highest() const {
        double out = 0;
        for (const Part& p : parts_)
            out = std::max(out, p.up);
        return out;
    }
    /// What lies under it, waste and all.
    [[nodiscard]] double area() const {
        double out = 0;
        for (const Part& p : parts_)
            out += p.width * p.up;
        return out;
    }
    /// How high the stretches beside one are; a thousand kilometres where the roll ends.
    [[nodiscard]] double beside(std::size_t i, bool left) const {
        constexpr double edge = 1e12;
        if (left)
            return i == 0 ? edge : parts_[i - 1].up;
        return i + 1 == parts_.size() ? edge : parts_[i + 1].up;
    }
    /// Fills a stretch up to the lower of its neighbours. False for the only one.
    bool raise(std::size_t i) {
        if (parts_.size() == 1)
            return false;
        parts_[i].up = std::min(beside(i, true), beside(i, false));
        merge();
        return true;
    }
    /// Puts something as wide as `width` on a stretch, at its left or its right end, up to `up`.
    void put(std::size_t i, double width, double up, bool left) {
        Part& p = parts_[i];
        if (p.width - width <= hair) {
            p.up = up;
        } else if (left) {
            const Part rest{p.from + width, p.width - width, p.up};
            p.width = width;
            p.up = up;
            parts_.insert(parts_.begin() + static_cast<std::ptrdiff_t>(i) + 1, rest);
        } else {
            const Part placed{p.from + p.width - width, width, up};
            p.width -= width;
            parts_.insert(parts_.begin() + static_cast<std::ptrdiff_t>(i) + 1, placed);
        }
        merge();
    }

private:
    void merge() {
        std::size_t kept = 0;
        for (std::size_t i = 1; i < parts_.size(); ++i) {
            if (std::abs(parts_[i].up - parts_[kept].up) <= hair)
                parts_[kept].width += parts_[i].width;
            else
                parts_[++kept] = parts_[i];
        }
        parts_.resize(kept + 1);
    }

    std::vector<Part> parts_;
};

/// Where patterns have to begin so that they match.
class Pattern {
public:
    Pattern(double repeat, double drop) : repeat_(repeat), drop_(drop) {}

    /// The first place at or after `up` where an item of a set matches those placed before it.
    [[nodiscard]] double match(const StripItem& item, double up,
                               const std::vector<double>& begun) const {
        if (repeat_ <= 0 || item.set < 0 || begun[static_cast<std::size_t>(item.set)] < 0)
            return up;
        const double wanted = begun[static_cast<std::size_t>(item.set)] + item.step * drop_;
        const double over = std::fmod(up - wanted, repeat_);
        const double back = over < -hair ? over + repeat_ : over;
        return back <= hair || repeat_ - back <= hair ? up : up + repeat_ - back;
    }
    /// Remembers where a set begins, as its first item would.
    void begin(const StripItem& item, double up, std::vector<double>& begun) const {
        if (repeat_ <= 0 || item.set < 0)
            return;
        double& first = begun[static_cast<std::size_t>(item.set)];
        if (first < 0) {
            first = std::fmod(up - item.step * drop_, repeat_);
            if (first < 0)
                first += repeat_;
        }
    }

private:
    double repeat_;
    double drop_;
};

class Packer {
public:
    Packer(const std::vector<StripItem>& items, double width, double repeat, double drop,
           const std::function<bool(double)>& goesOn)
        : items_(items), width_(width), pattern_(repeat, drop), goesOn_(goesOn) {
        std::vector<Vec2> sizes;
        int sets = 0;
        for (const StripItem& i : items) {
            sizes.push_back(i.size);
            sets = std::max(sets, i.set + 1);
        }
        sets_ = static_cast<std::size_t>(sets);
        least_ = leastRollLength(sizes, width);
        best_.at.resize(items.size());
        best_.length = 1e300;
    }

    StripPacking pack() {
        constexpr std::size_t few = 7;
        anneal(items_.size() <= few ? 400 : 0);
        if (items_.size() <= few && !best_.stopped && best_.length > least_ + hair) {
            placed_.assign(items_.size(), false);
            at_.resize(items_.size());
            std::vector<double> begun(sets_, -1.0);
            double left = 0;
            for (const StripItem& i : items_)
                left += i.size.x * i.size.y;
            search(Skyline(width_), begun, items_.size(), left);
        }
        return best_;
    }

private:
    [[nodiscard]] bool alike(std::size_t a, std::size_t b) const {
        return items_[a].size == items_[b].size && items_[a].set < 0 && items_[b].set < 0;
    }

    bool stopped(double share) {
        if (goesOn_ && !goesOn_(share))
            best_.stopped = true;
        return best_.stopped;
    }

    /// Everything that can be put on the lowest stretch, at either end of it, or nothing.
    void search(const Skyline& sky, const std::vector<double>& begun, std::size_t left,
                double areaLeft) {
        if (best_.length <= least_ + hair || ++nodes_ > mostNodes ||
            (nodes_ % 4096 == 0 && stopped(0.5)) || best_.stopped)
            return;
        const double high = sky.highest();
        if (left == 0) {
            if (high < best_.length - hair) {
                best_.length = high;
                best_.at = at_;
            }
            return;
        }
        if (std::max(high, (sky.area() + areaLeft) / width_) >= best_.length - hair)
            return;
        const std::size_t low = sky.lowest();
        const Skyline::Part part = sky.at(low);
        for (std::size_t i = 0; i < items_.size(); ++i) {
            if (placed_[i] || items_[i].size.x > part.width + hair)
                continue;
            bool same = false;
            for (std::size_t k = 0; k < i && !same; ++k)
                same = !placed_[k] && alike(k, i);
            if (same)
                continue;
            const double foot = pattern_.match(items_[i], part.up, begun);
            if (foot + items_[i].size.y >= best_.length - hair)
                continue;
            std::vector<double> then = begun;
            pattern_.begin(items_[i], foot, then);
            placed_[i] = true;
            const bool fills = part.width - items_[i].size.x <= hair;
            for (const bool atLeft : {true, false}) {
                if (!atLeft && (fills || sky.size() == 1))
                    break;
                Skyline next = sky;
                next.put(low, items_[i].size.x, foot + items_[i].size.y, atLeft);
                at_[i] = {atLeft ? part.from : part.from + part.width - items_[i].size.x, foot};
                search(next, then, left - 1, areaLeft - items_[i].size.x * items_[i].size.y);
            }
            placed_[i] = false;
        }
        Skyline raised = sky;
        if (raised.raise(low))
            search(raised, begun, left, areaLeft);
    }

    /// Puts the first of an order that fits on the lowest stretch, beside its higher neighbour,
    /// until all lie.
    double decode(const std::vector<std::size_t>& order, std::vector<Vec2>& at) const {
        Skyline sky(width_);
        std::vector<double> begun(sets_, -1.0);
        std::vector<std::size_t> waiting = order;
        while (!waiting.empty()) {
            const std::size_t low = sky.lowest();
            const Skyline::Part part = sky.at(low);
            const auto it = std::find_if(waiting.begin(), waiting.end(), [&](std::size_t i) {
                return items_[i].size.x <= part.width + hair;
            });
            if (it == waiting.end()) {
                sky.raise(low);
                continue;
            }
            const StripItem& item = items_[*it];
            const double foot = pattern_.match(item, part.up, begun);
            pattern_.begin(item, foot, begun);
            const bool atLeft = sky.beside(low, true) >= sky.beside(low, false);
            at[*it] = {atLeft ? part.from : part.from + part.width - item.size.x, foot};
            sky.put(low, item.size.x, foot + item.size.y, atLeft);
            waiting.erase(it);
        }
        return sky.highest();
    }

    /// Improves the order in which they are put down.
    void anneal(int rounds) {
        const std::size_t n = items_.size();
        std::vector<std::size_t> order(n);
        std::vector<Vec2> at(n);
        const auto tryOut = [&](const std::vector<std::size_t>& o) {
            const double length = decode(o, at);
            if (length < best_.length - hair) {
                best_.length = length;
                best_.at = at;
            }
            return length;
        };
        std::vector<std::size_t> start;
        double startLength = 1e300;
        for (int by = 0; by < 4; ++by) {
            std::iota(order.begin(), order.end(), std::size_t{0});
            std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
                const Vec2 s = items_[a].size;
                const Vec2 t = items_[b].size;
                switch (by) {
                case 0:
                    return s.y > t.y;
                case 1:
                    return s.x > t.x;
                case 2:
                    return s.x * s.y > t.x * t.y;
                default:
                    return s.x + s.y > t.x + t.y;
                }
            });
            if (const double length = tryOut(order); length < startLength) {
                startLength = length;
                start = order;
            }
        }
        if (n < 2)
            return;
        // As many as a second or so allows; the same on every machine.
        const double each = static_cast<double>(n * n) * 0.6 + 40;
        const int all = rounds > 0 ? rounds : static_cast<int>(std::clamp(4e7 / each, 2e3, 2e5));
        std::mt19937 random(20260301);
        std::vector<std::size_t> now = start;
        double nowLength = startLength;
        double mean = 0;
        for (const StripItem& i : items_)
            mean += i.size.y / static_cast<double>(n);
        for (int k = 0; k < all && best_.length > least_ + hair; ++k) {
            if (k % 512 == 0 && stopped(static_cast<double>(k) / all))
                return;
            order = now;
            const std::size_t a = random() % n;
            const std::size_t b = random() % n;
            if (random() % 2 == 0) {
                std::swap(order[a], order[b]);
            } else {
                const std::size_t moved = order[a];
                order.erase(order.begin() + static_cast<std::ptrdiff_t>(a));
                order.insert(order.begin() + static_cast<std::ptrdiff_t>(b), moved);
            }
            const double length = tryOut(order);
            const double heat = 0.3 * mean * (1 - static_cast<double>(k) / all);
            const double draw = static_cast<double>(random() % 100000) / 100000;
            if (length <= nowLength ||
                draw < std::exp((nowLength - length) / std::max(heat, 1e-9))) {
                now = order;
                nowLength = length;
            }
        }
    }

    static constexpr long mostNodes = 4000000;

    const std::vector<StripItem>& items_;
    double width_;
    Pattern pattern_;
    const std::function<bool(double)>& goesOn_;
    std::size_t sets_ = 0;
    double least_ = 0;
    long nodes_ = 0;
    std::vector<bool> placed_;
    std::vector<Vec2> at_;
    StripPacking best_;
};

} // namespace

double leastRollLength(const std::vector<Vec2>& sizes, double width) {
    double area = 0;
    double longest = 0;
    double wide = 0; // no two of those over half the width lie side by side
    for (const Vec2 s : sizes) {
        area += s.x * s.y;
        longest = std::max(longest, s.y);
        if (s.x > width / 2 + hair)
            wide += s.y;
    }
    return std::max({area / width, longest, wide});
}

StripPacking packStrip(const std::vector<StripItem>& items, double width, double repeat,
                       double drop, const std::function<bool(double)>& goesOn) {
    if (items.empty())
        return {};
    return Packer(items, width, repeat, drop, goesOn).pack();
}

} // namespace mezzet
