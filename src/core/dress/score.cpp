#include "dress/score.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <map>

namespace mezzet {

namespace {

constexpr double fillLow = 0.5;
constexpr double fillHigh = 0.8;
constexpr double breadthLow = 0.4;
constexpr double breadthHigh = 0.9;
constexpr double accentMost = 0.3;
constexpr double lyingLeast = 0.2;
constexpr int materialsLeast = 3;
constexpr double sill = 0.5; // mm: wider by less is not wider

/// How far a share is out of its band, as a part of what there is on that side.
double outOf(double v, double low, double high) {
    if (v < low)
        return (low - v) / low;
    if (v > high)
        return std::min((v - high) / (1 - high), 1.0);
    return 0;
}

} // namespace

OpeningFacts factsOf(double width, double height, double middle, std::span<const Spot> spots,
                     std::optional<std::size_t> accents) {
    OpeningFacts out;
    double reach = 0;
    double covered = 0;
    double accent = 0;
    int wide = 0;
    int uppers = 0;
    // What stands on the board, from the left: runs of one colour.
    std::array<std::size_t, 64> order{};
    std::size_t standing = 0;
    std::uint64_t families = 0;
    for (std::size_t i = 0; i < spots.size(); ++i) {
        const Spot& s = spots[i];
        reach = std::max(reach, s.z + s.height);
        const double face = s.width * s.height;
        out.face += face;
        if (!s.family)
            out.outside += face;
        else
            accent += s.family == accents ? face : 0;
        // What stands across the middle counts on each side by its part there.
        const double left = s.width > 0 ? std::clamp((middle - s.x) / s.width, 0.0, 1.0) : 0;
        for (const std::size_t side : {std::size_t{0}, std::size_t{1}}) {
            const double part = face * (side == 0 ? left : 1 - left);
            out.light[side] += s.lightness * part;
            out.lit[side] += part;
        }
        if (s.material > 0)
            out.materials |= std::uint64_t{1} << (s.material % 64);
        if (s.book) {
            ++out.books;
            out.lying += s.lies ? 1 : 0;
        }
        if (s.on < 0) {
            covered += s.width;
            if (standing < order.size())
                order[standing++] = i;
        } else if (s.book && s.lies) {
            const Spot& under = spots[static_cast<std::size_t>(s.on)];
            if (under.book && under.lies) {
                ++uppers;
                wide += s.width > under.width + sill || s.depth > under.depth + sill ? 1 : 0;
            }
        }
    }
    std::sort(order.begin(), order.begin() + static_cast<std::ptrdiff_t>(standing),
              [&](std::size_t a, std::size_t b) { return spots[a].x < spots[b].x; });
    const auto familyOf = [&](std::size_t i) { return spots[i].family.value_or(63) % 64; };
    int runs = 0;
    for (std::size_t i = 0; i < standing; ++i) {
        families |= std::uint64_t{1} << familyOf(order[i]);
        if (i == 0 || familyOf(order[i]) != familyOf(order[i - 1]))
            ++runs;
    }
    out.fill = spots.empty() ? 1 : outOf(reach / height, fillLow, fillHigh);
    out.breadth = spots.empty() ? 1 : outOf(covered / width, breadthLow, breadthHigh);
    if (accents && out.face > 0)
        out.accent =
            accent <= 0 ? 1 : std::clamp((accent / out.face - accentMost) / accentMost, 0.0, 1.0);
    out.masses = standing > 1 ? static_cast<double>(runs - std::popcount(families)) /
                                    static_cast<double>(standing)
                              : 0;
    out.stacks = uppers > 0 ? static_cast<double>(wide) / uppers : 0;
    return out;
}

std::string_view dressTermName(DressTerm t) {
    switch (t) {
    case DressTerm::fill:
        return "fill";
    case DressTerm::breadth:
        return "breadth";
    case DressTerm::accent:
        return "accent";
    case DressTerm::masses:
        return "masses";
    case DressTerm::stacks:
        return "stacks";
    case DressTerm::outside:
        return "outside";
    case DressTerm::bookMix:
        return "book mix";
    case DressTerm::materials:
        return "materials";
    case DressTerm::balance:
        return "balance";
    }
    return "";
}

double dressWeight(DressTerm t) {
    switch (t) {
    case DressTerm::outside:
        return 4;
    case DressTerm::fill:
        return 3;
    case DressTerm::breadth:
    case DressTerm::accent:
    case DressTerm::masses:
    case DressTerm::stacks:
    case DressTerm::bookMix:
    case DressTerm::materials:
    case DressTerm::balance:
        return 1;
    }
    return 0;
}

DressScore scoreOf(std::span<const OpeningFacts> openings) {
    DressScore out;
    if (openings.empty())
        return out;
    double face = 0;
    double outside = 0;
    int books = 0;
    int lying = 0;
    std::uint64_t materials = 0;
    std::array<double, 2> light{};
    std::array<double, 2> lit{};
    const auto term = [&](DressTerm t) -> double& {
        return out.terms[static_cast<std::size_t>(t)];
    };
    const double each = 1.0 / static_cast<double>(openings.size());
    for (const OpeningFacts& o : openings) {
        term(DressTerm::fill) += o.fill * each;
        term(DressTerm::breadth) += o.breadth * each;
        term(DressTerm::accent) += o.accent * each;
        term(DressTerm::masses) += o.masses * each;
        term(DressTerm::stacks) += o.stacks * each;
        face += o.face;
        outside += o.outside;
        books += o.books;
        lying += o.lying;
        materials |= o.materials;
        for (std::size_t i = 0; i < 2; ++i) {
            light[i] += o.light[i];
            lit[i] += o.lit[i];
        }
    }
    term(DressTerm::outside) = face > 0 ? outside / face : 0;
    if (books > 1) {
        const double share = static_cast<double>(std::min(lying, books - lying)) / books;
        term(DressTerm::bookMix) = std::max(lyingLeast - share, 0.0) / lyingLeast;
    }
    term(DressTerm::materials) = std::max(materialsLeast - std::popcount(materials), 0) /
                                 static_cast<double>(materialsLeast);
    if (lit[0] > 0 && lit[1] > 0)
        term(DressTerm::balance) = std::abs(light[0] / lit[0] - light[1] / lit[1]) / 100;
    for (std::size_t i = 0; i < dressTerms; ++i)
        out.whole += out.terms[i] * dressWeight(static_cast<DressTerm>(i));
    return out;
}

DressScore scoreOf(const Scene& scene, const std::vector<DressedSurface>& surfaces) {
    const Scheme& scheme = *scene.scheme;
    const PaletteNow palette = paletteOf(scheme, surfaces);
    std::optional<std::size_t> accents;
    if (palette.accent)
        accents = palette.families.size();
    std::map<std::string_view, int> materials;
    std::vector<OpeningFacts> all;
    for (const DressedSurface& s : surfaces) {
        if (!s.height)
            continue;
        std::vector<Spot> spots;
        for (const DressedThing& t : s.things) {
            const Piece& p = *scheme.byId(t.id);
            Spot one;
            one.x = t.at.x;
            one.z = t.at.z;
            one.width = t.size.width.mm();
            one.depth = t.size.depth.mm();
            one.height = t.size.height.mm();
            if (const auto c = colourOf(p)) {
                one.family = palette.familyOf(*c);
                one.lightness = labOf(*c).l;
            }
            if (const auto m = materialOf(p); !m.empty())
                one.material =
                    materials.try_emplace(m, static_cast<int>(materials.size()) + 1).first->second;
            one.book = p.isBook();
            one.lies = liesOf(p) == Lies::lying;
            for (std::size_t i = 0; i < s.things.size(); ++i)
                if (s.things[i].id == t.on)
                    one.on = static_cast<int>(i);
            spots.push_back(one);
        }
        const Piece& unit = *scheme.byId(s.id.piece);
        const auto box = openingOf(unit, s.id.index);
        all.push_back(factsOf(s.width, *s.height, box ? -box->left : s.width / 2, spots, accents));
    }
    return scoreOf(all);
}

} // namespace mezzet
