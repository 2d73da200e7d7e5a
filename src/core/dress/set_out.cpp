#include "dress/set_out.h"

#include "geometry/stretches.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr double between = 12.7;   // mm: half an inch between blocks
constexpr double stackShare = 0.5; // of the opening's height
constexpr double aloftShare = 0.8; // what stands on a stack reaches at most
constexpr double widestGap = 76.2; // mm

/// Things that stand together: a run of books, a stack with what is on it, one thing.
struct Block {
    struct One {
        std::size_t kind = 0;
        double x = 0; ///< from the block's left
        double z = 0;
        double width = 0;
        double depth = 0;
        double height = 0;
        Lies lies = Lies::standing;
        int on = -1; ///< of the block's
    };
    std::vector<One> things;
    double width = 0;
    std::size_t family = 0; ///< what it is sorted by
};

std::size_t orderOf(const ThingClass& c) {
    return c.look.family.value_or(99);
}

/// The blocks of an opening; false where a thing has no room by itself.
class Blocks {
public:
    Blocks(const OpeningRoom& room, const std::vector<ThingClass>& classes, Books books)
        : room_(room), classes_(classes), books_(books) {}

    bool make(const std::vector<int>& counts, std::vector<Block>& out) {
        std::vector<std::size_t> standing;
        std::vector<std::size_t> lying;
        std::vector<std::size_t> others;
        for (std::size_t k = 0; k < counts.size(); ++k) {
            const ThingClass& c = classes_[k];
            if (counts[k] > 0 && c.size.depth.mm() > room_.depth)
                return false;
            for (int i = 0; i < counts[k]; ++i) {
                if (!c.look.book) {
                    if (c.size.height.mm() > room_.height || c.size.width.mm() > room_.width)
                        return false;
                    others.push_back(k);
                    continue;
                }
                const bool tall = c.size.height.mm() > room_.height;
                const bool lies =
                    tall || books_ == Books::lie || (books_ == Books::some && i % 3 == 2);
                (lies ? lying : standing).push_back(k);
            }
        }
        run(standing, out);
        std::vector<Block> stacks;
        if (!pile(lying, stacks))
            return false;
        aloft(stacks, others);
        for (Block& s : stacks)
            out.push_back(std::move(s));
        for (const std::size_t k : others) {
            const ThingClass& c = classes_[k];
            Block b;
            b.things.push_back({k, 0, 0, c.size.width.mm(), c.size.depth.mm(), c.size.height.mm(),
                                c.flat ? Lies::leaning : Lies::standing, -1});
            b.width = c.size.width.mm();
            b.family = orderOf(c);
            out.push_back(std::move(b));
        }
        std::stable_sort(out.begin(), out.end(),
                         [](const Block& a, const Block& b) { return a.family < b.family; });
        return true;
    }

private:
    /// Standing books, a block for each colour, the tallest first.
    void run(std::vector<std::size_t>& books, std::vector<Block>& out) const {
        std::stable_sort(books.begin(), books.end(), [&](std::size_t a, std::size_t b) {
            const ThingClass& x = classes_[a];
            const ThingClass& y = classes_[b];
            if (orderOf(x) != orderOf(y))
                return orderOf(x) < orderOf(y);
            return x.size.height != y.size.height ? x.size.height > y.size.height : a < b;
        });
        for (const std::size_t k : books) {
            const ThingClass& c = classes_[k];
            if (out.empty() || out.back().family != orderOf(c)) {
                out.push_back({});
                out.back().family = orderOf(c);
            }
            Block& b = out.back();
            b.things.push_back({k, b.width, 0, c.size.width.mm(), c.size.depth.mm(),
                                c.size.height.mm(), Lies::standing, -1});
            b.width += c.size.width.mm();
        }
    }

    /// Lying books in stacks, a colour each, the widest below.
    bool pile(std::vector<std::size_t>& books, std::vector<Block>& out) const {
        std::stable_sort(books.begin(), books.end(), [&](std::size_t a, std::size_t b) {
            const ThingClass& x = classes_[a];
            const ThingClass& y = classes_[b];
            if (orderOf(x) != orderOf(y))
                return orderOf(x) < orderOf(y);
            const double p = x.size.height.mm() * x.size.depth.mm();
            const double q = y.size.height.mm() * y.size.depth.mm();
            return p != q ? p > q : a < b;
        });
        for (const std::size_t k : books) {
            const ThingClass& c = classes_[k];
            const double wide = c.size.height.mm();
            const double high = c.size.width.mm();
            if (wide > room_.width || high > room_.height)
                return false;
            const bool fresh = out.empty() || out.back().family != orderOf(c) ||
                               top(out.back()) + high > stackShare * room_.height;
            if (fresh) {
                out.push_back({});
                out.back().family = orderOf(c);
                out.back().width = wide;
            }
            Block& b = out.back();
            b.width = std::max(b.width, wide);
            const int under = static_cast<int>(b.things.size()) - 1;
            b.things.push_back({k, 0, top(b), wide, c.size.depth.mm(), high, Lies::lying, under});
        }
        for (Block& b : out)
            for (Block::One& t : b.things)
                t.x = (b.width - t.width) / 2;
        return true;
    }

    static double top(const Block& b) {
        return b.things.empty() ? 0 : b.things.back().z + b.things.back().height;
    }

    /// On each stack the tallest thing that has room there.
    void aloft(std::vector<Block>& stacks, std::vector<std::size_t>& others) const {
        for (Block& b : stacks) {
            const Block::One& under = b.things.back();
            std::size_t best = others.size();
            for (std::size_t i = 0; i < others.size(); ++i) {
                const ThingClass& c = classes_[others[i]];
                if (c.flat || c.size.width.mm() > under.width || c.size.depth.mm() > under.depth ||
                    top(b) + c.size.height.mm() > aloftShare * room_.height)
                    continue;
                if (best == others.size() || c.size.height > classes_[others[best]].size.height)
                    best = i;
            }
            if (best == others.size())
                continue;
            const std::size_t k = others[best];
            const ThingClass& c = classes_[k];
            const int on = static_cast<int>(b.things.size()) - 1;
            b.things.push_back({k, under.x + (under.width - c.size.width.mm()) / 2, top(b),
                                c.size.width.mm(), c.size.depth.mm(), c.size.height.mm(),
                                Lies::standing, on});
            others.erase(others.begin() + static_cast<std::ptrdiff_t>(best));
        }
    }

    const OpeningRoom& room_;
    const std::vector<ThingClass>& classes_;
    Books books_;
};

/// Stretches of the board that nothing that stays stands on, from the left.
std::vector<Stretch> freeStretches(const OpeningRoom& room) {
    std::vector<Stretch> taken;
    for (const Spot& s : room.fixed)
        if (s.on < 0)
            taken.emplace_back(s.x - between, s.x + s.width + between);
    return leftBy(std::move(taken), room.width);
}

} // namespace

bool setOut(const OpeningRoom& room, const std::vector<ThingClass>& classes,
            const std::vector<int>& counts, Books books, std::vector<Spot>& spots,
            std::vector<Laid>* laid) {
    std::vector<Block> blocks;
    if (!Blocks(room, classes, books).make(counts, blocks))
        return false;
    if (blocks.empty())
        return true;
    // From the left, as many in each free stretch as have room there.
    std::vector<double> lefts(blocks.size(), 0);
    std::size_t next = 0;
    for (const auto& [from, to] : freeStretches(room)) {
        const std::size_t first = next;
        double wide = 0;
        while (next < blocks.size() &&
               wide + (next > first ? between : 0) + blocks[next].width <= to - from + 1e-9) {
            wide += (next > first ? between : 0) + blocks[next].width;
            ++next;
        }
        const std::size_t n = next - first;
        if (n == 0)
            continue;
        // What is left over is spread between them, and the rest about them.
        const double spare = to - from - wide;
        const double more = n > 1 ? std::min(spare / static_cast<double>(n), widestGap) : 0;
        double at = from + (spare - more * static_cast<double>(n - 1)) / 2;
        for (std::size_t i = first; i < next; ++i) {
            lefts[i] = at;
            at += blocks[i].width + between + more;
        }
    }
    if (next < blocks.size())
        return false;
    // Of two alike on the board one is set forward, where there is depth for it.
    constexpr double forward = 25.4;
    std::vector<int> alike(classes.size(), 0);
    for (const Block& b : blocks)
        if (b.things.size() == 1 && !classes[b.things.front().kind].look.book)
            ++alike[b.things.front().kind];
    std::vector<int> seen(classes.size(), 0);
    const bool turned = room.mirrored && room.fixed.empty();
    const auto begin = static_cast<int>(spots.size());
    int count = 0;
    for (std::size_t i = 0; i < blocks.size(); ++i) {
        const Block& b = blocks[i];
        const double left = turned ? room.width - lefts[i] - b.width : lefts[i];
        const int block = count;
        for (const Block::One& t : b.things) {
            Spot s = classes[t.kind].look;
            s.x = left + t.x;
            s.z = t.z;
            s.width = t.width;
            s.depth = t.depth;
            s.height = t.height;
            s.lies = t.lies == Lies::lying;
            s.on = t.on < 0 ? -1 : begin + block + t.on;
            spots.push_back(s);
            double back = t.lies == Lies::leaning ? 0 : (room.depth - t.depth) / 2;
            if (b.things.size() == 1 && alike[t.kind] == 2 && seen[t.kind]++ == 1 &&
                back + t.depth + forward <= room.depth)
                back += forward;
            if (laid != nullptr)
                laid->push_back(
                    {t.kind, s.x, back, t.width, t.depth, t.lies, t.on < 0 ? -1 : block + t.on});
            ++count;
        }
    }
    return true;
}

} // namespace mezzet
