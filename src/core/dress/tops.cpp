// Dressing a tabletop from the stock: odd numbers, and three heights.
#include "dress/tops.h"

#include "dress/palette_wanted.h"
#include "geometry/stretches.h"
#include "measure/example.h"
#include "measure/texts.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <map>
#include <tuple>

namespace mezzet {

namespace {

struct TermOfTop {
    std::string_view name;
    double weight;
};
constexpr std::array<TermOfTop, topTerms> termsOfTop{{{"heights", 3},
                                                      {"odd", 2},
                                                      {"outside", 4},
                                                      {"accent", 1},
                                                      {"materials", 1},
                                                      {"breadth", 1},
                                                      {"reach", 1}}};

/// A thing on a top, as it is weighed.
struct OnTop {
    double width = 0;
    double depth = 0;
    double height = 0;
    std::optional<std::size_t> family; ///< the accent after the others; nothing for none
    int material = 0;                  ///< a bit of a set; 0 when it is not known
    bool onBoard = true;
    double high = 0; ///< of its head over the board
};

constexpr double oneHeight = 25.4; // within an inch two are one

double out(double share, double low, double high) {
    if (share < low)
        return (low - share) / low;
    return std::clamp((share - high) / (1 - high), 0.0, 1.0);
}

/// The terms of things on a top so wide; `accents`: which family the accent is.
TopScore weighed(std::vector<OnTop>& all, double wide, std::optional<std::size_t> accents) {
    TopScore s;
    const auto term = [&](TopTerm t) -> double& { return s.terms[static_cast<std::size_t>(t)]; };
    std::sort(all.begin(), all.end(),
              [](const OnTop& a, const OnTop& b) { return a.high < b.high; });
    int heights = 0;
    double last = -1e300;
    int onBoard = 0;
    double broad = 0;
    double face = 0;
    double outside = 0;
    double accent = 0;
    unsigned materials = 0;
    for (const OnTop& t : all) {
        if (t.onBoard) {
            ++onBoard;
            broad += t.width;
        }
        if (t.high > last + oneHeight) {
            ++heights;
            last = t.high;
        }
        const double front = t.width * t.height;
        face += front;
        outside += t.family ? 0 : front;
        accent += accents && t.family == accents ? front : 0;
        materials |= static_cast<unsigned>(t.material);
    }
    const bool none = all.empty();
    term(TopTerm::heights) = (3 - std::min(heights, 3)) / 3.0;
    term(TopTerm::odd) = onBoard % 2 == 1 ? 0 : 1;
    term(TopTerm::outside) = face > 0 ? outside / face : 0;
    const double share = face > 0 ? accent / face : 0;
    term(TopTerm::accent) = !accents     ? 0
                            : share <= 0 ? 1
                                         : std::clamp((share - 0.3) / 0.3, 0.0, 1.0);
    term(TopTerm::materials) = (3 - std::min(std::popcount(materials), 3)) / 3.0;
    term(TopTerm::breadth) = none ? 1 : std::min(1.0, out(broad / wide, 0.3, 0.7));
    term(TopTerm::reach) = none ? 1 : std::min(1.0, out(all.back().high / wide, 0.2, 0.6));
    for (std::size_t i = 0; i < topTerms; ++i)
        s.whole += s.terms[i] * termsOfTop[i].weight;
    return s;
}

/// What stands on a top, weighed by a palette; a number to each material.
class Looks {
public:
    explicit Looks(const PaletteNow& palette) : palette_(palette) {}

    OnTop of(const Piece& p, double high, bool onBoard) {
        OnTop t;
        t.width = p.size.width.mm();
        t.depth = p.size.depth.mm();
        t.height = p.size.height.mm();
        t.high = high;
        t.onBoard = onBoard;
        if (const auto c = colourOf(p))
            t.family = palette_.familyOf(*c);
        constexpr int most = 30;
        if (const auto m = materialOf(p); !m.empty()) {
            const auto it =
                materials_.try_emplace(std::string(m), static_cast<int>(materials_.size())).first;
            t.material = 1 << std::min(it->second, most);
        }
        return t;
    }
    [[nodiscard]] std::optional<std::size_t> accents() const {
        return palette_.accent ? std::optional(palette_.families.size()) : std::nullopt;
    }

private:
    const PaletteNow& palette_;
    std::map<std::string, int> materials_;
};

class TopCase {
public:
    TopCase(const Project& job, const Scene& scene, int piece, const DressWish& wish)
        : job_(job), scene_(scene), wish_(wish), piece_(piece), palette_(), looks_(palette_) {}

    std::optional<Problem> make() {
        for (DressedSurface& s : dressedSurfaces(scene_, piece_))
            if (s.isTop())
                top_ = std::move(s);
        if (!top_)
            return Problem{"that has no top to dress", "name a table, a chest or a shelf"};
        if (!job_.stock || job_.stock->empty())
            return Problem{"there is nothing in the stock to dress it with",
                           worded("say what is at hand, like: stock 12 cream books {}",
                                  exampleIn("9 x 6 x 1", job_.notation.units))};
        palette_ = paletteWanted(*scene_.scheme, *job_.stock, {});
        stays();
        for (const StockThing& t : *job_.stock)
            take(t);
        if (items_.empty())
            return Problem{
                worded("nothing of the stock has room on {}", scene_.pieceById(piece_)->name),
                "add smaller things, or take something away"};
        return {};
    }

    [[nodiscard]] std::vector<DressAnswer> answers(const StopsDressing& stops) {
        struct Way {
            std::vector<std::size_t> of;
            double cost;
        };
        std::vector<Way> ways;
        const auto offer = [&](std::vector<std::size_t> of) {
            if (twoAlike(of) || !layOut(of, nullptr))
                return;
            const double cost = costOf(of);
            ways.push_back({std::move(of), cost});
        };
        const std::size_t n = items_.size();
        // With what stays there the number is to be odd.
        const bool even = fixedOnBoard_ % 2 == 1;
        for (std::size_t a = 0; a < n; ++a) {
            if (stops && stops())
                break;
            if (!even)
                offer({a});
            for (std::size_t b = a + 1; b < n; ++b) {
                if (even)
                    offer({a, b});
                else
                    for (std::size_t c = b + 1; c < n; ++c)
                        offer({a, b, c});
            }
        }
        const auto sorted = [&] {
            std::stable_sort(ways.begin(), ways.end(),
                             [](const Way& x, const Way& y) { return x.cost < y.cost; });
        };
        sorted();
        // Two more on a long top.
        constexpr double longTop = 1500;
        if (top_->width >= longTop && wish_.most >= 1) {
            constexpr std::size_t bases = 60;
            const auto first = std::vector<Way>(
                ways.begin(),
                ways.begin() + static_cast<std::ptrdiff_t>(std::min(bases, ways.size())));
            for (const Way& w : first)
                for (std::size_t a = 0; a < n && !(stops && stops()); ++a)
                    for (std::size_t b = a + 1; b < n; ++b) {
                        const auto has = [&](std::size_t i) {
                            return std::find(w.of.begin(), w.of.end(), i) != w.of.end();
                        };
                        if (has(a) || has(b))
                            continue;
                        auto of = w.of;
                        of.push_back(a);
                        of.push_back(b);
                        offer(std::move(of));
                    }
            sorted();
        }
        std::vector<DressAnswer> out;
        std::vector<const Way*> kept;
        for (const Way& w : ways) {
            const bool other = std::all_of(kept.begin(), kept.end(), [&](const Way* k) {
                const auto same = std::count_if(w.of.begin(), w.of.end(), [&](std::size_t i) {
                    return std::find(k->of.begin(), k->of.end(), i) != k->of.end();
                });
                return static_cast<std::size_t>(same) + std::min<std::size_t>(2, w.of.size()) <=
                       std::max(w.of.size(), k->of.size());
            });
            if (!other)
                continue;
            kept.push_back(&w);
            out.push_back(answer(w.of));
            if (static_cast<int>(out.size()) >= wish_.answers)
                break;
        }
        return out;
    }

private:
    struct Item {
        const StockThing* stock = nullptr;
        std::string name;
        Size size;
        OnTop look;
    };

    /// What stays, and what is taken again; the widest stretch of the top that is free.
    void stays() {
        std::vector<Stretch> held;
        for (const DressedThing& t : top_->things) {
            const Piece& p = *scene_.pieceById(t.id);
            const bool ours = !p.locked && p.thing && !p.thing->stock.empty();
            if (ours) {
                taken_.push_back(t.id);
                continue;
            }
            fixed_.push_back(looks_.of(p, t.top(), t.on == 0));
            fixedOnBoard_ += t.on == 0 ? 1 : 0;
            if (t.on == 0)
                held.emplace_back(t.at.x, t.right());
        }
        std::tie(from_, to_) = widestOf(leftBy(std::move(held), top_->width));
    }

    void take(const StockThing& t) {
        // What is flat leans elsewhere, and books are a shelf's.
        if (!t.kind || !t.kind->thing || t.kind->thing->sort == ThingSort::flat ||
            t.kind->thing->sort == ThingSort::book || t.kind->isSoft() ||
            t.size.width.mm() > to_ - from_ || t.size.depth.mm() > top_->depth)
            return;
        for (auto& name : namesOf(t)) {
            const Piece* there = scene_.scheme->byName(name);
            const bool ours = there != nullptr &&
                              std::find(taken_.begin(), taken_.end(), there->id) != taken_.end();
            if (there != nullptr && !ours)
                continue;
            Item item{&t, name, t.size, looks_.of(pieceOf(t, name), t.size.height.mm(), true)};
            items_.push_back(std::move(item));
            return; // one of each
        }
    }

    /// Two of one kind, which would be no pair as they stand.
    [[nodiscard]] bool twoAlike(const std::vector<std::size_t>& of) const {
        return std::any_of(of.begin(), of.end(), [&](std::size_t i) {
            return std::count_if(of.begin(), of.end(), [&](std::size_t k) {
                       return items_[k].stock->kind == items_[i].stock->kind;
                   }) == 2;
        });
    }

    [[nodiscard]] double costOf(const std::vector<std::size_t>& of) const {
        auto all = fixed_;
        for (const std::size_t i : of)
            all.push_back(items_[i].look);
        auto s = weighed(all, top_->width, looks_.accents());
        // A little more accent, or calmer.
        const double accent = 1 - s.terms[static_cast<std::size_t>(TopTerm::accent)];
        return s.whole - wish_.accent * accent * 2;
    }

    /// The lower left back corners on the top, of things as they are given; false where they have
    /// no room. The tallest at the back, left of the middle; the next to its right; the lowest
    /// before them; two more at the ends.
    bool layOut(const std::vector<std::size_t>& of, std::vector<Vec2>* at) const {
        constexpr double gap = 25;
        constexpr double edge = 20;
        std::vector<std::size_t> order(of.size());
        for (std::size_t i = 0; i < order.size(); ++i)
            order[i] = i;
        std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
            return items_[of[a]].size.height > items_[of[b]].size.height;
        });
        const auto w = [&](std::size_t k) { return items_[of[order[k]]].size.width.mm(); };
        const auto d = [&](std::size_t k) { return items_[of[order[k]]].size.depth.mm(); };
        const std::size_t n = of.size();
        // From left to right along the back; the last of three stands before them where it can.
        std::vector<std::size_t> row;
        if (n == 1)
            row = {0};
        else if (n == 2)
            row = {0, 1};
        else if (n == 3)
            row = {0, 1};
        else
            row = {3, 0, 1, 4};
        bool before = false;
        if (n == 3 || n == 5) {
            const double behind = std::max(d(0), d(1));
            // What is nearly as high as those would hide them.
            constexpr double low = 0.6;
            const auto h = [&](std::size_t k) { return items_[of[order[k]]].size.height; };
            before = edge + behind + gap + d(2) <= top_->depth && h(2) <= h(1) * low;
            if (!before)
                row.insert(row.end() - (n == 5 ? 1 : 0), 2);
        }
        double broad = -gap;
        for (const std::size_t k : row)
            broad += w(k) + gap;
        if (broad > to_ - from_)
            return false;
        if (at == nullptr)
            return true;
        at->assign(n, {});
        double x = from_ + (to_ - from_ - broad) / 2;
        double pair = 0;
        for (const std::size_t k : row) {
            const double back = std::min(edge, std::max(0.0, top_->depth - d(k)));
            (*at)[order[k]] = {x, back};
            if (k == 0)
                pair = x + w(0);
            x += w(k) + gap;
        }
        if (before)
            (*at)[order[2]] = {std::clamp(pair - w(2) / 2, from_, to_ - w(2)),
                               edge + std::max(d(0), d(1)) + gap};
        return true;
    }

    [[nodiscard]] DressAnswer answer(const std::vector<std::size_t>& of) const {
        DressAnswer out;
        for (const int id : taken_)
            out.edit.acts.emplace_back(RemovePiece{id});
        std::vector<Vec2> at;
        layOut(of, &at);
        const Box board = boardOf(*scene_.pieceById(piece_), top_->id);
        for (std::size_t i = 0; i < of.size(); ++i) {
            const Item& item = items_[of[i]];
            Piece p = pieceOf(*item.stock, item.name);
            p.on = top_->id;
            p.pose.at =
                board.low + at[i] + Vec2{item.size.width.mm() / 2, item.size.depth.mm() / 2};
            out.edit.acts.emplace_back(PutPiece{std::move(p)});
        }
        if (auto kept = keptPalette(*scene_.scheme, palette_))
            out.edit.acts.emplace_back(std::move(*kept));
        out.edit.words = std::string(told("dress from the stock"));
        out.score.whole = costOf(of);
        return out;
    }

    const Project& job_;
    const Scene& scene_;
    const DressWish& wish_;
    int piece_;
    PaletteNow palette_;
    Looks looks_;
    std::optional<DressedSurface> top_;
    std::vector<int> taken_;
    std::vector<OnTop> fixed_;
    int fixedOnBoard_ = 0;
    double from_ = 0; ///< the free stretch of the top, mm from its left
    double to_ = 0;
    std::vector<Item> items_;
};

} // namespace

std::string_view topTermName(TopTerm t) {
    return termsOfTop[static_cast<std::size_t>(t)].name;
}

double topWeight(TopTerm t) {
    return termsOfTop[static_cast<std::size_t>(t)].weight;
}

TopScore topScoreOf(const Scene& scene, const DressedSurface& top, const PaletteNow& palette) {
    Looks looks(palette);
    std::vector<OnTop> all;
    for (const DressedThing& t : top.things)
        all.push_back(looks.of(*scene.pieceById(t.id), t.top(), t.on == 0));
    return weighed(all, top.width, looks.accents());
}

Result<std::vector<DressAnswer>> dressTop(const Project& job, const Scene& scene, int piece,
                                          const DressWish& wish, const StopsDressing& stops) {
    TopCase of(job, scene, piece, wish);
    if (auto problem = of.make())
        return *problem;
    auto out = of.answers(stops);
    if (out.empty())
        return Problem{worded("nothing of the stock has room on {}", scene.pieceById(piece)->name),
                       "add smaller things, or take something away"};
    return out;
}

} // namespace mezzet
