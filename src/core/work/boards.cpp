#include "work/boards.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cstdint>
#include <limits>
#include <map>
#include <numeric>
#include <random>

namespace mezzet {

namespace {

constexpr double nearly = 1e-6; ///< mm
/// With more shapes than this to look through, plans are tried and not proved.
constexpr double mostSplits = 3e6;
constexpr int tries = 400;

struct BoardBox {
    double along = 0; ///< mm, each with a kerf
    double across = 0;
};

struct SlicedAt {
    std::size_t type = 0;
    bool turned = false;
    double along = 0;
    double across = 0;
};

using SlicedSheet = std::vector<SlicedAt>;

/// The least boxes into which so many of each board can be cut apart, by every way of cutting.
class Slices {
public:
    Slices(std::vector<BoardBox> types, std::vector<int> counts, BoardBox sheet, bool turn)
        : types_(std::move(types)), counts_(std::move(counts)), sheet_(sheet), turn_(turn) {
        step_.resize(counts_.size());
        states_ = 1;
        for (std::size_t i = 0; i < counts_.size(); ++i) {
            step_[i] = states_;
            states_ *= static_cast<std::size_t>(counts_[i]) + 1;
        }
    }

    /// How many ways of parting there are to look through.
    static double splits(const std::vector<int>& counts) {
        double n = 1;
        for (const int c : counts)
            n *= (c + 1.0) * (c + 2.0) / 2;
        return n;
    }

    /// The fewest sheets, fullest first.
    std::vector<SlicedSheet> best() {
        shapes_.assign(states_, {});
        for (std::size_t s = 1; s < states_; ++s)
            findShapes(s);
        return parted();
    }

private:
    struct Sliced {
        double along = 0;
        double across = 0;
        std::size_t one = 0; ///< state of the part before the cut; the whole for a board
        std::uint32_t oneAt = 0;
        std::uint32_t otherAt = 0;
        bool beside = false; ///< the parts lie side by side across, not one after the other
        bool turned = false;
    };

    [[nodiscard]] int of(std::size_t state, std::size_t type) const {
        return static_cast<int>(state / step_[type] %
                                (static_cast<std::size_t>(counts_[type]) + 1));
    }

    /// Every state within `state`, the empty one and itself left out.
    template <class F> void within(std::size_t state, F&& f) const {
        std::vector<int> have(counts_.size()), now(counts_.size(), 0);
        for (std::size_t i = 0; i < have.size(); ++i)
            have[i] = of(state, i);
        std::size_t at = 0;
        while (true) {
            std::size_t i = 0;
            while (i < now.size() && now[i] == have[i]) {
                at -= static_cast<std::size_t>(now[i]) * step_[i];
                now[i++] = 0;
            }
            if (i == now.size())
                return;
            ++now[i];
            at += step_[i];
            if (at != state)
                f(at);
        }
    }

    [[nodiscard]] double areaOf(std::size_t state) const {
        double a = 0;
        for (std::size_t i = 0; i < counts_.size(); ++i)
            a += of(state, i) * types_[i].along * types_[i].across;
        return a;
    }

    void take(std::vector<Sliced>& all, const Sliced& s) const {
        if (s.along > sheet_.along + nearly || s.across > sheet_.across + nearly)
            return;
        for (const Sliced& have : all)
            if (have.along <= s.along + nearly && have.across <= s.across + nearly)
                return;
        std::erase_if(all, [&](const Sliced& have) {
            return s.along <= have.along + nearly && s.across <= have.across + nearly;
        });
        all.push_back(s);
    }

    void findShapes(std::size_t state) {
        auto& all = shapes_[state];
        if (areaOf(state) > sheet_.along * sheet_.across * (1 + 1e-9))
            return;
        for (std::size_t i = 0; i < counts_.size(); ++i)
            if (state == step_[i]) {
                take(all, {types_[i].along, types_[i].across, state, 0, 0, false, false});
                if (turn_)
                    take(all, {types_[i].across, types_[i].along, state, 0, 0, false, true});
                return;
            }
        within(state, [&](std::size_t one) {
            const std::size_t other = state - one;
            if (one > other)
                return;
            const auto& a = shapes_[one];
            const auto& b = shapes_[other];
            for (std::uint32_t i = 0; i < a.size(); ++i)
                for (std::uint32_t k = 0; k < b.size(); ++k) {
                    take(all, {a[i].along + b[k].along, std::max(a[i].across, b[k].across), one, i,
                               k, false, false});
                    take(all, {std::max(a[i].along, b[k].along), a[i].across + b[k].across, one, i,
                               k, true, false});
                }
        });
    }

    void lay(std::size_t state, std::uint32_t at, double along, double across,
             SlicedSheet& out) const {
        const Sliced& s = shapes_[state][at];
        if (s.one == state) {
            for (std::size_t i = 0; i < counts_.size(); ++i)
                if (state == step_[i])
                    out.push_back({i, s.turned, along, across});
            return;
        }
        const Sliced& first = shapes_[s.one][s.oneAt];
        lay(s.one, s.oneAt, along, across, out);
        lay(state - s.one, s.otherAt, s.beside ? along : along + first.along,
            s.beside ? across + first.across : across, out);
    }

    /// Parts the whole into sheets: the fewest, and then those that are fullest.
    [[nodiscard]] std::vector<SlicedSheet> parted() const {
        struct Best {
            int sheets = std::numeric_limits<int>::max();
            double full = 0; ///< the squares of the areas cut of each sheet
            std::size_t last = 0;
        };
        std::vector<Best> best(states_);
        best[0] = {0, 0, 0};
        const double whole = sheet_.along * sheet_.across;
        std::vector<double> full(states_);
        for (std::size_t s = 1; s < states_; ++s) {
            const double part = areaOf(s) / whole;
            full[s] = part * part;
        }
        for (std::size_t s = 1; s < states_; ++s) {
            const auto tried = [&](std::size_t sheet) {
                if (shapes_[sheet].empty())
                    return;
                const Best& rest = best[s - sheet];
                if (rest.sheets == std::numeric_limits<int>::max())
                    return;
                const Best now{rest.sheets + 1, rest.full + full[sheet], sheet};
                if (now.sheets < best[s].sheets ||
                    (now.sheets == best[s].sheets && now.full > best[s].full + 1e-12))
                    best[s] = now;
            };
            tried(s);
            within(s, tried);
        }
        std::vector<SlicedSheet> out;
        for (std::size_t s = states_ - 1; s != 0; s -= best[s].last) {
            SlicedSheet sheet;
            lay(best[s].last, 0, 0, 0, sheet);
            out.push_back(std::move(sheet));
        }
        return out;
    }

    std::vector<BoardBox> types_;
    std::vector<int> counts_;
    BoardBox sheet_;
    bool turn_;
    std::size_t states_ = 1;
    std::vector<std::size_t> step_;
    std::vector<std::vector<Sliced>> shapes_;
};

/// Boards laid one by one, in an order, each in a corner of what is left of the sheets.
class InOrder {
public:
    InOrder(const std::vector<BoardBox>& types, BoardBox sheet, bool turn)
        : types_(types), sheet_(sheet), turn_(turn) {}

    /// `rule`: which way the rest is parted, and which of the rests that would do is taken.
    [[nodiscard]] std::vector<SlicedSheet> laid(const std::vector<std::size_t>& order,
                                                int rule) const {
        std::vector<SlicedSheet> sheets;
        std::vector<Rest> rests;
        for (const std::size_t type : order) {
            auto best = bestFor(rests, type, rule);
            if (!best) {
                sheets.emplace_back();
                rests.push_back({sheets.size() - 1, 0, 0, sheet_.along, sheet_.across});
                best = bestFor(rests, type, rule);
            }
            const Rest r = rests[best->rest];
            rests.erase(rests.begin() + static_cast<std::ptrdiff_t>(best->rest));
            const double l = best->turned ? types_[type].across : types_[type].along;
            const double w = best->turned ? types_[type].along : types_[type].across;
            sheets[r.sheet].push_back({type, best->turned, r.along, r.across});
            const double restAlong = r.length - l, restAcross = r.width - w;
            const bool alongFirst = rule % 3 == 0   ? restAlong > restAcross
                                    : rule % 3 == 1 ? restAlong * w > restAcross * l
                                                    : restAlong < restAcross;
            if (restAlong > nearly)
                rests.push_back(
                    {r.sheet, r.along + l, r.across, restAlong, alongFirst ? r.width : w});
            if (restAcross > nearly)
                rests.push_back(
                    {r.sheet, r.along, r.across + w, alongFirst ? l : r.length, restAcross});
        }
        return sheets;
    }

private:
    struct Rest {
        std::size_t sheet = 0;
        double along = 0;
        double across = 0;
        double length = 0;
        double width = 0;
    };
    struct Choice {
        std::size_t rest = 0;
        bool turned = false;
        double worth = 0;
    };

    [[nodiscard]] std::optional<Choice> bestFor(const std::vector<Rest>& rests, std::size_t type,
                                                int rule) const {
        std::optional<Choice> best;
        for (std::size_t i = 0; i < rests.size(); ++i)
            for (const bool turned : {false, true}) {
                if (turned && !turn_)
                    continue;
                const double l = turned ? types_[type].across : types_[type].along;
                const double w = turned ? types_[type].along : types_[type].across;
                const Rest& r = rests[i];
                if (l > r.length + nearly || w > r.width + nearly)
                    continue;
                const double worth =
                    rule / 3 % 2 == 0 ? r.length * r.width : std::min(r.length - l, r.width - w);
                if (!best || worth < best->worth - nearly)
                    best = Choice{i, turned, worth};
            }
        return best;
    }

    const std::vector<BoardBox>& types_;
    BoardBox sheet_;
    bool turn_;
};

double fullness(const std::vector<SlicedSheet>& sheets, const std::vector<BoardBox>& types) {
    double all = 0;
    for (const SlicedSheet& s : sheets) {
        double area = 0;
        for (const SlicedAt& a : s)
            area += types[a.type].along * types[a.type].across;
        all += area * area;
    }
    return all;
}

/// The types of boards, those alike as one, and which boards are of each.
struct BoardTypes {
    std::vector<BoardBox> types; ///< mm, each with a kerf
    std::vector<int> counts;
    std::vector<std::vector<std::size_t>> boards;

    BoardTypes(const std::vector<BoardSize>& all, double kerf) {
        std::map<std::pair<double, double>, std::size_t> known;
        for (std::size_t i = 0; i < all.size(); ++i) {
            const std::pair<double, double> key{all[i].along.mm(), all[i].across.mm()};
            const auto [it, fresh] = known.emplace(key, types.size());
            if (fresh) {
                types.push_back({key.first + kerf, key.second + kerf});
                counts.push_back(0);
                boards.emplace_back();
            }
            ++counts[it->second];
            boards[it->second].push_back(i);
        }
    }
};

bool holdsBoard(const BoardBox& sheet, const BoardBox& b, bool turn) {
    return (b.along <= sheet.along + nearly && b.across <= sheet.across + nearly) ||
           (turn && b.across <= sheet.along + nearly && b.along <= sheet.across + nearly);
}

std::vector<SlicedSheet> tried(const BoardTypes& t, BoardBox sheet, const BoardAsk& ask,
                               std::size_t least) {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < t.types.size(); ++i)
        order.insert(order.end(), static_cast<std::size_t>(t.counts[i]), i);
    const InOrder in(t.types, sheet, ask.turn);
    std::vector<SlicedSheet> best;
    double full = 0;
    const auto see = [&](const std::vector<std::size_t>& o, int rule) {
        auto now = in.laid(o, rule);
        const double f = fullness(now, t.types);
        if (best.empty() || now.size() < best.size() || (now.size() == best.size() && f > full)) {
            best = std::move(now);
            full = f;
            return true;
        }
        return false;
    };
    const auto by = [&](auto key) {
        std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
            return key(t.types[a]) > key(t.types[b]);
        });
        for (int rule = 0; rule < 6; ++rule)
            see(order, rule);
    };
    by([](const BoardBox& b) { return std::min(b.along, b.across); });
    by([](const BoardBox& b) { return b.along * b.across; });
    by([](const BoardBox& b) { return b.along; });
    by([](const BoardBox& b) { return b.across; });
    by([](const BoardBox& b) { return std::max(b.along, b.across); });
    // Then by exchanging two of the order, kept when it is no worse.
    std::mt19937 chance(20260301);
    std::vector<std::size_t> kept = order;
    for (int i = 0; i < tries && best.size() > least && order.size() > 1; ++i) {
        order = kept;
        for (int swaps = 1 + static_cast<int>(chance() % 3); swaps > 0; --swaps)
            std::swap(order[chance() % order.size()], order[chance() % order.size()]);
        if (see(order, static_cast<int>(chance() % 6)))
            kept = order;
    }
    return best;
}

} // namespace

std::size_t leastSheets(const std::vector<BoardSize>& all, const BoardAsk& ask) {
    const double kerf = ask.kerf.mm();
    const BoardBox sheet{ask.stock.along.mm() + kerf, ask.stock.across.mm() + kerf};
    double area = 0;
    std::size_t alone = 0;
    for (const BoardSize& b : all) {
        const double l = b.along.mm() + kerf, w = b.across.mm() + kerf;
        area += l * w;
        // More than half of the sheet both ways, however it lies: no two of them go on one.
        const double shorter = ask.turn ? std::min(l, w) : l;
        const double other = ask.turn ? shorter : w;
        const double longest = ask.turn ? std::max(sheet.along, sheet.across) : sheet.along;
        if (shorter > longest / 2 + nearly &&
            other > (ask.turn ? longest : sheet.across) / 2 + nearly)
            ++alone;
    }
    const auto byArea =
        static_cast<std::size_t>(std::ceil(area / (sheet.along * sheet.across) - 1e-9));
    return std::max({byArea, alone, std::size_t{all.empty() ? 0U : 1U}});
}

Result<BoardPlan> cutBoards(const std::vector<BoardSize>& all, const BoardAsk& ask) {
    if (all.empty())
        return Problem{std::string(told("no board is asked for")),
                       std::string(told("say the boards, like “1200 x 200”"))};
    if (all.size() > mostBoards)
        return Problem{worded("{} boards are more than {}", all.size(), mostBoards),
                       std::string(told("cut them in several lots"))};
    const auto sizeWords = [&](const BoardSize& b) {
        return worded("{} x {}", write(b.along, ask.shown), write(b.across, ask.shown));
    };
    const auto isNothing = [](const BoardSize& b) {
        return !(b.along.mm() > 0.01 && b.across.mm() > 0.01) ||
               !(b.along.mm() < 1e5 && b.across.mm() < 1e5);
    };
    if (isNothing(ask.stock))
        return Problem{worded("the stock can't be {}", sizeWords(ask.stock)),
                       std::string(told("say its length and its width"))};
    if (!(ask.kerf.mm() >= 0 && ask.kerf.mm() <= 50))
        return Problem{worded("no saw takes {}", write(ask.kerf, ask.shown)),
                       std::string(told("say what the blade takes, like 3 mm"))};
    const double kerf = ask.kerf.mm();
    const BoardBox sheet{ask.stock.along.mm() + kerf, ask.stock.across.mm() + kerf};
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (isNothing(all[i]))
            return Problem{worded("board {} can't be {}", i + 1, sizeWords(all[i])),
                           std::string(told("say its length and its width"))};
        const BoardBox own{all[i].along.mm() + kerf, all[i].across.mm() + kerf};
        if (!holdsBoard(sheet, own, ask.turn))
            return Problem{
                worded("board {}, {}, can't be cut of {}", i + 1, sizeWords(all[i]),
                       sizeWords(ask.stock)),
                std::string(told(!ask.turn && holdsBoard(sheet, own, true)
                                     ? "it would fit turned, if the grain may run across it"
                                     : "take larger stock, or make it of two"))};
    }
    const BoardTypes types(all, kerf);
    const std::size_t least = leastSheets(all, ask);
    BoardPlan plan;
    std::vector<SlicedSheet> sheets;
    if (Slices::splits(types.counts) <= mostSplits) {
        sheets = Slices(types.types, types.counts, sheet, ask.turn).best();
        plan.least = true;
    } else {
        sheets = tried(types, sheet, ask, least);
        plan.least = sheets.size() == least;
    }
    std::vector<std::size_t> used(types.types.size(), 0);
    double area = 0;
    const auto areaOf = [&](const SlicedSheet& s) {
        double a = 0;
        for (const SlicedAt& one : s)
            a += types.types[one.type].along * types.types[one.type].across;
        return a;
    };
    std::stable_sort(sheets.begin(), sheets.end(),
                     [&](const auto& a, const auto& b) { return areaOf(a) > areaOf(b) + nearly; });
    for (SlicedSheet& s : sheets) {
        std::stable_sort(s.begin(), s.end(), [](const SlicedAt& a, const SlicedAt& b) {
            return a.across < b.across - nearly ||
                   (a.across < b.across + nearly && a.along < b.along);
        });
        auto& cuts = plan.sheets.emplace_back();
        for (const SlicedAt& a : s) {
            const std::size_t board = types.boards[a.type][used[a.type]++];
            const BoardSize size =
                a.turned ? BoardSize{all[board].across, all[board].along} : all[board];
            area += size.along.mm() * size.across.mm();
            cuts.push_back(
                {board, Length::millimetres(a.along), Length::millimetres(a.across), size});
        }
    }
    plan.waste = 1 - area / (static_cast<double>(plan.sheets.size()) * ask.stock.along.mm() *
                             ask.stock.across.mm());
    return plan;
}

} // namespace mezzet
