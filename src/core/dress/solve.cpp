// Dressing a unit from the stock, by annealing.
#include "dress/solve.h"
#include "measure/example.h"

#include "dress/palette_wanted.h"
#include "dress/set_out.h"
#include "dress/tops.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <random>

namespace mezzet {

namespace {

/// What the solver changes: how many of each kind are in each opening, and how its books are.
struct DressState {
    std::vector<std::vector<int>> counts; ///< by opening, by kind
    std::vector<Books> books;
};

/// The case, made once: openings, kinds at hand, colours.
class DressCase {
public:
    DressCase(const Project& job, const Scene& scene, const DressWish& wish)
        : job_(job), scene_(scene), wish_(wish) {}

    std::optional<Problem> make() {
        const Scheme& scheme = *scene_.scheme;
        for (const Piece& p : scheme.pieces)
            if (p.openings() > 0 &&
                (wish_.units.empty() ||
                 std::find(wish_.units.begin(), wish_.units.end(), p.id) != wish_.units.end()))
                units_.push_back(p.id);
        if (units_.empty())
            return Problem{"there is no piece with openings to dress",
                           "add one first, like: bookcase against wall A, 5 shelves"};
        if (!job_.stock || job_.stock->empty())
            return Problem{"there is nothing in the stock to dress it with",
                           worded("say what is at hand, like: stock 12 cream books {}",
                                  exampleIn("9 x 6 x 1", job_.notation.units))};
        for (const int id : units_)
            for (DressedSurface& s : dressedSurfaces(scene_, id))
                if (s.height && (wish_.only == 0 || s.id.index == wish_.only || units_.size() > 1))
                    boards_.push_back(std::move(s));
        stays();
        kinds();
        return {};
    }

    [[nodiscard]] std::size_t openings() const { return openings_.size(); }
    [[nodiscard]] std::size_t kindCount() const { return items_.size(); }
    [[nodiscard]] int atHand(std::size_t kind) const { return items_[kind].count; }
    [[nodiscard]] const ThingClass& item(std::size_t kind) const { return items_[kind].as; }

    /// The facts of one opening dressed so; nothing when it can't be.
    [[nodiscard]] std::optional<OpeningFacts> facts(std::size_t opening, const std::vector<int>& n,
                                                    Books books) const {
        std::vector<Spot> spots = openings_[opening].fixed;
        if (!setOut(openings_[opening], classes_, n, books, spots, nullptr))
            return {};
        const OpeningRoom& o = openings_[opening];
        return factsOf(o.width, o.height, o.middle, spots, accents_);
    }

    [[nodiscard]] double whole(const std::vector<OpeningFacts>& all, const DressState& s) const {
        const DressScore score = scoreOf(all);
        double out = score.whole;
        if (wish_.most < 1) { // fewer things
            int used = 0;
            for (const auto& n : s.counts)
                for (const int k : n)
                    used += k;
            const double most = wish_.most * total_;
            out += std::max(used - most, 0.0) / std::max(total_, 1) * 3;
        }
        if (wish_.accent != 0) {
            double accent = 0;
            double face = 0;
            for (std::size_t o = 0; o < s.counts.size(); ++o)
                for (std::size_t k = 0; k < items_.size(); ++k) {
                    const Spot& look = items_[k].as.look;
                    const double f = s.counts[o][k] * look.width * look.height;
                    face += f;
                    accent += look.family == accents_ && accents_ ? f : 0;
                }
            const double share = face > 0 ? accent / face : 0;
            out -= wish_.accent * std::min(share, 0.3) * 2;
        }
        return out;
    }

    /// The best that annealing finds from a seed; its facts with it.
    [[nodiscard]] DressState anneal(unsigned seed, const StopsDressing& stops) const {
        std::mt19937 random(seed);
        const auto below = [&](std::size_t n) {
            return static_cast<std::size_t>(random() % std::max<std::size_t>(n, 1));
        };
        DressState now{std::vector(openings(), std::vector<int>(kindCount(), 0)),
                       std::vector(openings(), Books::some)};
        std::vector<OpeningFacts> facts_;
        for (std::size_t o = 0; o < openings(); ++o)
            facts_.push_back(*facts(o, now.counts[o], now.books[o]));
        std::vector<int> left;
        for (const auto& i : items_)
            left.push_back(i.count);
        double score = whole(facts_, now);
        DressState best = now;
        double least = score;
        if (kindCount() == 0)
            return best;
        const int tries =
            static_cast<int>(std::clamp<std::size_t>(openings() * kindCount() * 500, 20000, 90000));
        constexpr double hot = 0.25;
        constexpr double cold = 0.0005;
        for (int i = 0; i < tries; ++i) {
            if ((i & 255) == 0 && stops && stops())
                break;
            const double heat = hot * std::pow(cold / hot, static_cast<double>(i) / tries);
            const std::size_t o = below(openings());
            std::size_t other = o;
            auto mine = now.counts[o];
            Books how = now.books[o];
            std::vector<int> theirs;
            auto spare = left;
            const auto some = [&](int most) {
                return 1 + static_cast<int>(below(std::min(most, 4)));
            };
            switch (below(6)) {
            case 0:
            case 1: { // one more, or a few
                const std::size_t k = below(kindCount());
                if (spare[k] == 0)
                    continue;
                const int n = some(spare[k]);
                mine[k] += n;
                spare[k] -= n;
                break;
            }
            case 2: { // one less
                const std::size_t k = below(kindCount());
                if (mine[k] == 0)
                    continue;
                const int n = some(mine[k]);
                mine[k] -= n;
                spare[k] += n;
                break;
            }
            case 3: { // one for another
                const std::size_t k = below(kindCount());
                const std::size_t l = below(kindCount());
                if (mine[k] == 0 || spare[l] == 0 || k == l)
                    continue;
                --mine[k];
                ++spare[k];
                ++mine[l];
                --spare[l];
                break;
            }
            case 4: { // to another opening
                other = below(openings());
                const std::size_t k = below(kindCount());
                if (other == o || mine[k] == 0)
                    continue;
                theirs = now.counts[other];
                const int n = some(mine[k]);
                mine[k] -= n;
                theirs[k] += n;
                break;
            }
            default:
                how = static_cast<Books>(below(3));
                if (how == now.books[o])
                    continue;
            }
            const auto f = facts(o, mine, how);
            if (!f)
                continue;
            std::optional<OpeningFacts> g;
            if (other != o && !(g = facts(other, theirs, now.books[other])))
                continue;
            const OpeningFacts before = std::exchange(facts_[o], *f);
            const OpeningFacts otherBefore = facts_[other];
            if (g)
                facts_[other] = *g;
            DressState next = wish_.most < 1 || wish_.accent != 0 ? now : DressState{};
            if (!next.counts.empty()) {
                next.counts[o] = mine;
                if (g)
                    next.counts[other] = theirs;
            }
            const double s = whole(facts_, next.counts.empty() ? now : next);
            const bool take = s <= score || std::exp((score - s) / heat) * 4294967296.0 >
                                                static_cast<double>(random());
            if (!take) {
                if (g)
                    facts_[other] = otherBefore;
                facts_[o] = before;
                continue;
            }
            score = s;
            now.counts[o] = std::move(mine);
            if (g)
                now.counts[other] = std::move(theirs);
            now.books[o] = how;
            left = std::move(spare);
            if (score < least - 1e-12) {
                least = score;
                best = now;
            }
        }
        return best;
    }

    /// All ways, one after the other.
    [[nodiscard]] Result<double> all() const {
        constexpr double mostWays = 2e6;
        double ways = std::pow(3.0, static_cast<double>(openings()));
        for (const auto& i : items_)
            for (int k = 0; k < i.count; ++k)
                ways *= static_cast<double>(openings()) + 1;
        if (ways > mostWays)
            return Problem{"that is too many ways to try all", ""};
        DressState s{std::vector(openings(), std::vector<int>(kindCount(), 0)),
                     std::vector(openings(), Books::stand)};
        double best = 1e9;
        shareOut(s, 0, 0, items_.empty() ? 0 : items_[0].count, best);
        return best;
    }

    [[nodiscard]] DressAnswer answer(const DressState& s) const {
        DressAnswer out;
        Edit& e = out.edit;
        // What is of the stock goes back first, the uppermost before what it stands on.
        std::vector<int> off = taken_;
        std::reverse(off.begin(), off.end());
        for (const int id : off)
            e.acts.emplace_back(RemovePiece{id});
        int next = scene_.scheme->nextId;
        std::vector<std::size_t> used(items_.size(), 0);
        for (std::size_t o = 0; o < openings(); ++o) {
            std::vector<Spot> spots = openings_[o].fixed;
            std::vector<Laid> laid;
            if (!setOut(openings_[o], classes_, s.counts[o], s.books[o], spots, &laid))
                continue; // it was set out when it was tried
            const int first = next;
            for (const Laid& l : laid) {
                const DressItem& item = items_[l.kind];
                Piece p = pieceOf(*item.stock, item.names[used[l.kind]++]);
                ThingTold told = *p.thing;
                told.lies = l.lies;
                if (l.lies == Lies::lying && p.isBook())
                    p.size = turnedOver(p.size);
                p.thing = std::make_shared<const ThingTold>(std::move(told));
                if (l.on >= 0) {
                    p.on = onTop(first + l.on);
                    p.pose.at = {};
                } else {
                    p.on = openings_[o].id;
                    p.pose.at = {l.x + l.width / 2, l.y + l.depth / 2};
                }
                e.acts.emplace_back(PutPiece{std::move(p)});
                ++next;
            }
        }
        if (auto kept = keptPalette(*scene_.scheme, *palette_))
            e.acts.emplace_back(std::move(*kept));
        e.words = std::string(told("dress from the stock"));
        return out;
    }

    [[nodiscard]] double differs(const DressState& a, const DressState& b) const {
        int off = 0;
        int all = 0;
        for (std::size_t o = 0; o < openings(); ++o)
            for (std::size_t k = 0; k < kindCount(); ++k) {
                off += std::abs(a.counts[o][k] - b.counts[o][k]);
                all += a.counts[o][k] + b.counts[o][k];
            }
        return all > 0 ? static_cast<double>(off) / all : 0;
    }

    [[nodiscard]] const std::vector<int>& units() const { return units_; }

private:
    struct DressItem {
        const StockThing* stock = nullptr;
        std::vector<std::string> names;
        int count = 0;
        ThingClass as;
    };

    void shareOut(DressState& s, std::size_t kind, std::size_t opening, int left,
                  double& best) const {
        if (kind == items_.size()) {
            howBooks(s, 0, best);
            return;
        }
        if (opening == openings()) {
            const std::size_t next = kind + 1;
            shareOut(s, next, 0, next < items_.size() ? items_[next].count : 0, best);
            return;
        }
        for (int n = 0; n <= left; ++n) {
            s.counts[opening][kind] = n;
            shareOut(s, kind, opening + 1, left - n, best);
        }
        s.counts[opening][kind] = 0;
    }

    void howBooks(DressState& s, std::size_t opening, double& best) const {
        if (opening < openings()) {
            for (const Books b : {Books::stand, Books::lie, Books::some}) {
                s.books[opening] = b;
                howBooks(s, opening + 1, best);
            }
            return;
        }
        std::vector<OpeningFacts> all;
        for (std::size_t o = 0; o < openings(); ++o) {
            const auto f = facts(o, s.counts[o], s.books[o]);
            if (!f)
                return;
            all.push_back(*f);
        }
        best = std::min(best, whole(all, s));
    }

    /// What is not of the stock, or is locked, stays where it is, and what it stands on with it.
    void stays() {
        const Scheme& scheme = *scene_.scheme;
        std::set<int> fixed;
        for (const DressedSurface& b : boards_)
            for (const DressedThing& t : b.things) {
                const Piece& p = *scheme.byId(t.id);
                if (!p.locked && p.thing && !p.thing->stock.empty())
                    continue;
                for (int id = t.id; id != 0;) {
                    fixed.insert(id);
                    const Piece* one = scheme.byId(id);
                    const Piece* under =
                        one->on.is == SurfaceId::Is::top ? scheme.byId(one->on.piece) : nullptr;
                    id = under != nullptr && under->isThing() ? under->id : 0;
                }
            }
        for (const DressedSurface& b : boards_) {
            OpeningRoom o;
            o.id = b.id;
            o.width = b.width;
            o.depth = b.depth;
            o.height = *b.height;
            const auto box = openingOf(*scheme.byId(b.id.piece), b.id.index);
            o.middle = box ? -box->left : b.width / 2;
            o.mirrored = b.id.index % 2 == 0;
            std::map<int, int> at;
            for (const DressedThing& t : b.things) {
                if (fixed.count(t.id) == 0) {
                    taken_.push_back(t.id);
                    continue;
                }
                at[t.id] = static_cast<int>(o.fixed.size());
                Spot s;
                s.x = t.at.x;
                s.z = t.at.z;
                s.width = t.size.width.mm();
                s.depth = t.size.depth.mm();
                s.height = t.size.height.mm();
                const Piece& p = *scheme.byId(t.id);
                look(p, s);
                s.book = p.isBook();
                s.lies = liesOf(p) == Lies::lying;
                s.on = t.on != 0 && at.count(t.on) > 0 ? at[t.on] : -1;
                o.fixed.push_back(s);
            }
            openings_.push_back(std::move(o));
        }
        // Uppermost last, so that turned round they come off first.
        std::stable_sort(taken_.begin(), taken_.end(), [&](int a, int b) {
            return carriersOf(*scheme.byId(a), scheme).size() <
                   carriersOf(*scheme.byId(b), scheme).size();
        });
    }

    void look(const Piece& p, Spot& s) {
        needPalette();
        if (const auto c = colourOf(p)) {
            s.family = palette_->familyOf(*c);
            s.lightness = labOf(*c).l;
        }
        if (const auto m = materialOf(p); !m.empty())
            s.material =
                materials_.try_emplace(std::string(m), static_cast<int>(materials_.size()) + 1)
                    .first->second;
    }

    void needPalette() {
        if (!palette_)
            palette_ = paletteWanted(*scene_.scheme, *job_.stock, boards_);
    }

    void kinds() {
        const Scheme& scheme = *scene_.scheme;
        for (const StockThing& t : *job_.stock) {
            DressItem item;
            item.stock = &t;
            for (auto& name : namesOf(t)) {
                const Piece* there = scheme.byName(name);
                const bool ours = there != nullptr && std::find(taken_.begin(), taken_.end(),
                                                                there->id) != taken_.end();
                if (there == nullptr || ours)
                    item.names.push_back(std::move(name));
            }
            item.count = static_cast<int>(item.names.size());
            if (item.count == 0)
                continue;
            const Piece p = pieceOf(t, t.name);
            look(p, item.as.look);
            item.as.size = t.size;
            item.as.look.width = t.size.width.mm();
            item.as.look.depth = t.size.depth.mm();
            item.as.look.height = t.size.height.mm();
            item.as.look.book = p.isBook();
            item.as.flat = t.kind->thing->sort == ThingSort::flat;
            total_ += item.count;
            classes_.push_back(item.as);
            items_.push_back(std::move(item));
        }
        needPalette();
        if (palette_->accent)
            accents_ = palette_->families.size();
    }

    const Project& job_;
    const Scene& scene_;
    const DressWish& wish_;
    std::vector<int> units_;
    std::vector<DressedSurface> boards_;
    std::vector<OpeningRoom> openings_;
    std::vector<int> taken_; ///< things of the stock that stand there now
    std::vector<DressItem> items_;
    std::vector<ThingClass> classes_;
    std::optional<PaletteNow> palette_;
    std::optional<std::size_t> accents_;
    std::map<std::string, int> materials_;
    int total_ = 0;
};

} // namespace

Result<std::vector<DressAnswer>> dressUnits(const Project& job, const Scene& scene,
                                            const DressWish& wish, const StopsDressing& stops) {
    // A piece without openings is dressed on its top.
    if (wish.units.size() == 1)
        if (const Piece* p = scene.pieceById(wish.units.front());
            p != nullptr && p->openings() == 0 && p->kind->hasTop())
            return dressTop(job, scene, p->id, wish, stops);
    DressCase of(job, scene, wish);
    if (auto problem = of.make())
        return *problem;
    struct Found {
        DressState state;
        DressAnswer answer;
    };
    std::vector<Found> found;
    const int runs = wish.answers + 2;
    for (int i = 0; i < runs; ++i) {
        Found f{of.anneal(wish.seed + static_cast<unsigned>(i) * 7919U, stops), {}};
        f.answer = of.answer(f.state);
        const auto after = apply(job, f.answer.edit);
        if (!after)
            return after.problem();
        std::vector<DressedSurface> boards;
        for (const int id : of.units())
            for (DressedSurface& s : dressedSurfaces(*after->scene, id))
                boards.push_back(std::move(s));
        f.answer.score = scoreOf(*after->scene, boards);
        found.push_back(std::move(f));
        if (stops && stops())
            break;
    }
    std::stable_sort(found.begin(), found.end(), [](const Found& a, const Found& b) {
        return a.answer.score.whole < b.answer.score.whole;
    });
    std::vector<DressAnswer> out;
    std::vector<const DressState*> kept;
    constexpr double clearly = 0.25;
    for (const Found& f : found) {
        const bool other = std::all_of(kept.begin(), kept.end(), [&](const DressState* k) {
            return of.differs(*k, f.state) >= clearly;
        });
        if (other && static_cast<int>(out.size()) < wish.answers) {
            kept.push_back(&f.state);
            out.push_back(f.answer);
        }
    }
    return out;
}

Result<double> bestOfAll(const Project& job, const Scene& scene, const DressWish& wish) {
    DressCase of(job, scene, wish);
    if (auto problem = of.make())
        return *problem;
    return of.all();
}

} // namespace mezzet
