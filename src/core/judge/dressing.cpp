// Shelves and tabletops: palette, accent, opening-fill, stack-order, book-mix, leaned-art,
// pair-stagger, material-mix, odd-count, three-heights, box-fits, shelf-load.
#include "hang/sag.h"
#include "hang/stock.h"
#include "judge/dressing_handles.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "things/covered.h"

#include <cstring>
#include <set>

namespace mezzet {

namespace {

const Piece& pieceOn(const DressContext& c, const DressedThing& t) {
    return *c.scene.pieceById(t.id);
}

/// A reading of a thing, seen on its board.
Reading& onBoard(const DressContext& c, const DressedSurface& s, int piece, Target other,
                 Amount value) {
    Vec2 at{s.width / 2, s.depth / 2};
    for (const DressedThing& t : s.things)
        if (t.id == piece)
            at = {t.at.x + t.size.width.mm() / 2, t.at.y + t.size.depth.mm() / 2};
    Reading& r = c.add(piece, other, value, at, at);
    r.surface = s.id;
    return r;
}

std::size_t thingsOn(const DressedUnit& u) {
    std::size_t n = 0;
    for (const DressedSurface& s : u.surfaces)
        n += s.things.size();
    return n;
}

double face(const DressedThing& t) {
    return t.size.width.mm() * t.size.height.mm();
}

void shelfPalette(const DressContext& c) {
    const Dressing& said = c.scene.scheme->dressing;
    const bool told = !said.families.empty();
    for (const DressedUnit& u : c.units) {
        if (!told && thingsOn(u) < static_cast<std::size_t>(c.rule.number("few")))
            continue;
        const PaletteNow now = paletteOf(*c.scene.scheme, u.surfaces);
        for (const DressedSurface& s : u.surfaces)
            for (const DressedThing& t : s.things) {
                const Piece& p = pieceOn(c, t);
                const auto colour = colourOf(p);
                if (!colour)
                    continue;
                double off = 1e9;
                for (const auto& f : now.families)
                    off = std::min(off, colourDifference(labOf(*colour), labOf(f.colour)));
                if (now.accent)
                    off =
                        std::min(off, colourDifference(labOf(*colour), labOf(now.accent->colour)));
                if (off > 1e8)
                    continue;
                if (off <= c.band.high.value_or(sameFamily) + 1e-6)
                    continue; // the rest is right; a line for each would hide what is not
                Reading& r = onBoard(c, s, t.id, {}, {Quantity::count, std::round(off * 10) / 10});
                if (p.isBook())
                    r.instead = "book";
                else if (p.kind->thing && p.kind->thing->sort == ThingSort::flat)
                    r.instead = "flat";
            }
    }
}

void shelfAccent(const DressContext& c) {
    for (const DressedUnit& u : c.units) {
        if (!u.hasOpenings())
            continue;
        const PaletteNow now = paletteOf(*c.scene.scheme, u.surfaces);
        if (!now.accent)
            continue;
        for (const DressedSurface& s : u.surfaces) {
            if (s.isTop() || s.things.empty())
                continue;
            double all = 0;
            double accent = 0;
            for (const DressedThing& t : s.things) {
                const auto colour = colourOf(pieceOn(c, t));
                all += face(t);
                if (colour && now.familyOf(*colour) == now.families.size())
                    accent += face(t);
            }
            if (all <= 0)
                continue;
            Reading& r = onBoard(c, s, u.id, {}, Amount::ratio(accent / all));
            r.part = s.id.index;
            if (accent <= 0)
                r.instead = "none there";
        }
    }
}

void shelfFill(const DressContext& c) {
    for (const DressedUnit& u : c.units)
        for (const DressedSurface& s : u.surfaces) {
            if (!s.height)
                continue;
            Reading& r = onBoard(c, s, u.id, {}, Amount::ratio(s.reach() / *s.height));
            r.part = s.id.index;
            if (s.things.empty()) {
                r.instead = "empty";
                r.verdict = Verdict::note;
            } else if (r.value.value > 1 + 1e-6) {
                r.instead = "through";
                r.verdict = Verdict::clash;
            }
        }
}

void shelfStacks(const DressContext& c) {
    for (const DressedUnit& u : c.units)
        for (const DressedSurface& s : u.surfaces)
            for (const DressedThing& t : s.things) {
                const Piece& p = pieceOn(c, t);
                const Piece* under = t.on != 0 ? c.scene.pieceById(t.on) : nullptr;
                if (under == nullptr || !p.isBook() || liesOf(p) != Lies::lying ||
                    !under->isBook() || liesOf(*under) != Lies::lying)
                    continue;
                const DressedThing* below = nullptr;
                for (const DressedThing& o : s.things)
                    if (o.id == t.on)
                        below = &o;
                if (below == nullptr)
                    continue;
                const Length over =
                    std::max(t.size.width - below->size.width, t.size.depth - below->size.depth);
                Reading& r =
                    onBoard(c, s, t.id, pieceTarget(t.on), Amount::of(std::max(over, Length{})));
                if (p.thing && p.thing->coverShows && r.verdict == Verdict::loose) {
                    r.verdict = Verdict::note;
                    r.instead = "cover";
                }
            }
}

void shelfBooks(const DressContext& c) {
    for (const DressedUnit& u : c.units) {
        double lying = 0;
        double all = 0;
        for (const DressedSurface& s : u.surfaces)
            for (const DressedThing& t : s.things)
                if (const Piece& p = pieceOn(c, t); p.isBook()) {
                    all += 1;
                    lying += liesOf(p) == Lies::lying ? 1 : 0;
                }
        if (all < c.rule.number("few"))
            continue;
        Reading& r = c.add(u.id, {}, Amount::ratio(lying / all), {}, {});
        r.surface = u.surfaces.front().id;
    }
}

void shelfLeaned(const DressContext& c) {
    for (const DressedUnit& u : c.units) {
        std::vector<UnitEye> eyes;
        for (const DressedSurface& s : u.surfaces)
            for (const DressedThing& t : s.things) {
                if (liesOf(pieceOn(c, t)) != Lies::leaning)
                    continue;
                if (eyes.empty())
                    eyes = eyesOn(c.scene, u.id,
                                  {c.rule.setting("away"), c.rule.setting("seated"),
                                   c.rule.setting("standing")});
                for (const UnitEye& e : eyes) {
                    Reading& r =
                        onBoard(c, s, t.id, {}, Amount::ratio(coveredShare(c.scene, s, t, e.at)));
                    r.part = e.seated ? 2 : 1;
                    if (e.seated && r.verdict == Verdict::right)
                        r.instead = "seated";
                }
            }
    }
}

void shelfPairs(const DressContext& c) {
    for (const DressedUnit& u : c.units)
        for (const DressedSurface& s : u.surfaces)
            for (std::size_t i = 0; i < s.things.size(); ++i) {
                const DressedThing& a = s.things[i];
                const Piece& p = pieceOn(c, a);
                if (a.on != 0 || p.isBook())
                    continue;
                std::vector<const DressedThing*> like;
                for (const DressedThing& b : s.things)
                    if (b.on == 0 && pieceOn(c, b).kind == p.kind)
                        like.push_back(&b);
                if (like.size() != 2 || like.front() != &a)
                    continue;
                const DressedThing& b = *like.back();
                const double apart =
                    std::max(std::abs(a.top() - b.top()), std::abs(a.front() - b.front()));
                onBoard(c, s, a.id, pieceTarget(b.id), Amount::of(Length::millimetres(apart)));
            }
}

void shelfMaterials(const DressContext& c) {
    for (const DressedUnit& u : c.units) {
        if (thingsOn(u) < static_cast<std::size_t>(c.rule.number("few")))
            continue;
        std::set<std::string_view> kinds;
        for (const DressedSurface& s : u.surfaces)
            for (const DressedThing& t : s.things)
                if (const auto m = materialOf(pieceOn(c, t)); !m.empty())
                    kinds.insert(m);
        Reading& r = c.add(u.id, {}, {Quantity::count, static_cast<double>(kinds.size())}, {}, {});
        r.surface = u.surfaces.front().id;
    }
}

/// What stands on a top itself, of each kind.
void topOdd(const DressContext& c) {
    const double near = c.rule.setting("symmetric").mm();
    for (const DressedUnit& u : c.units)
        for (const DressedSurface& s : u.surfaces) {
            if (!s.isTop())
                continue;
            std::set<const Kind*> told;
            for (const DressedThing& a : s.things) {
                const Piece& p = pieceOn(c, a);
                if (a.on != 0 || !p.isThing() || !told.insert(p.kind.get()).second)
                    continue;
                std::vector<const DressedThing*> like;
                for (const DressedThing& b : s.things)
                    if (b.on == 0 && pieceOn(c, b).kind == p.kind)
                        like.push_back(&b);
                if (like.size() < 2)
                    continue;
                Reading& r =
                    onBoard(c, s, a.id, {}, {Quantity::count, static_cast<double>(like.size())});
                const auto middle = [](const DressedThing& t) {
                    return t.at.x + t.size.width.mm() / 2;
                };
                const bool pair = like.size() == 2 && std::abs(middle(*like[0]) + middle(*like[1]) -
                                                               s.width) <= 2 * near;
                r.verdict = like.size() % 2 == 1 || pair ? Verdict::right : Verdict::loose;
                if (pair)
                    r.instead = "pair";
            }
        }
}

void topHeights(const DressContext& c) {
    const double same = c.rule.setting("same").mm();
    for (const DressedUnit& u : c.units)
        for (const DressedSurface& s : u.surfaces) {
            if (!s.isTop() || s.things.size() < 3)
                continue;
            std::vector<double> tops;
            for (const DressedThing& t : s.things) {
                // What carries another is no height of its own.
                const bool carries =
                    std::any_of(s.things.begin(), s.things.end(),
                                [&](const DressedThing& o) { return o.on == t.id; });
                if (!carries && pieceOn(c, t).isThing())
                    tops.push_back(t.top());
            }
            if (tops.size() < 3)
                continue;
            std::sort(tops.begin(), tops.end());
            int heights = 1;
            double last = tops.front();
            for (const double h : tops)
                if (h - last > same) {
                    ++heights;
                    last = h;
                }
            Reading& r = onBoard(c, s, u.id, {}, {Quantity::count, static_cast<double>(heights)});
            r.part = 1;
        }
}

void boxFits(const DressContext& c) {
    for (const Piece& p : c.scene.scheme->pieces) {
        if (!p.thing || p.thing->holds.empty())
            continue;
        const double used = filledBy(p.size, p.thing->holds);
        Reading& r = c.add(p.id, {}, Amount::ratio(used), {}, {});
        r.surface = p.on;
    }
}

/// Each board of a unit under what stands on it, as a beam housed at its ends.
void shelfHolds(const DressContext& c) {
    const double least = c.rule.number("share of span");
    for (const DressedUnit& u : c.units) {
        const Piece& unit = *c.scene.pieceById(u.id);
        const auto [wood, materialAssumed] = unitMaterial(c.book.shelving, unit);
        if (wood == nullptr)
            continue;
        for (const DressedSurface& s : u.surfaces) {
            if (s.isTop() || s.things.empty())
                continue;
            ShelfBeam beam;
            beam.length = Length::millimetres(s.width);
            beam.depth = Length::millimetres(s.depth);
            beam.thickness = unit.board();
            beam.modulus = wood->modulus;
            beam.props = {Length{}, beam.length};
            beam.load = wood->density * s.depth / 1000 * unit.board().mm() / 1000 * 9.80665;
            bool assumed = materialAssumed;
            for (const DressedThing& t : s.things) {
                const Piece& p = pieceOn(c, t);
                const double own = kilogramsOf(p);
                assumed = assumed || !p.thing || !p.thing->kilograms;
                beam.loads.push_back(
                    {Length::millimetres(std::clamp(t.at.x + t.size.width.mm() / 2, 0.0, s.width)),
                     Mass::kilograms(own)});
            }
            const Sag sag = sagOf(beam);
            Band band = c.band;
            band.high = s.width * least;
            const Vec2 at{sag.at.mm(), s.depth / 2};
            Reading& r = c.add(u.id, {}, Amount::of(sag.deflection), band, at, at);
            r.surface = s.id;
            r.part = s.id.index;
            r.second = Amount::of(sag.span);
            if (assumed)
                r.instead = "assumed";
        }
    }
}

constexpr auto dressCodes =
    std::array<RuleCode, 12>{{{"palette", shelfPalette, paletteHandles, true},
                              {"accent", shelfAccent, accentHandles},
                              {"opening-fill", shelfFill, fillHandles},
                              {"stack-order", shelfStacks, stackHandles},
                              {"book-mix", shelfBooks, bookHandles},
                              {"leaned-art", shelfLeaned, leanedHandles},
                              {"pair-stagger", shelfPairs, pairHandles},
                              {"material-mix", shelfMaterials, materialHandles},
                              {"odd-count", topOdd, oddHandles, true},
                              {"three-heights", topHeights, heightHandles},
                              {"box-fits", boxFits, noHandles},
                              {"shelf-load", shelfHolds, loadHandles}}};

} // namespace

std::span<const RuleCode> dressRules() {
    return dressCodes;
}

} // namespace mezzet
