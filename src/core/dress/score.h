#pragma once

#include "things/dressed.h"

#include <array>
#include <span>
#include <string_view>

namespace mezzet {

/// A thing in an opening, as the objective of dressing sees it; mm from the opening's left and its
/// board.
struct Spot {
    double x = 0;
    double z = 0;
    double width = 0;
    double depth = 0;
    double height = 0;
    std::optional<std::size_t> family; ///< of the palette; nothing when it is of none
    double lightness = 0;              ///< L*
    int material = 0;                  ///< a number for each material; 0 when it is not known
    bool book = false;
    bool lies = false;
    int on = -1; ///< the spot it stands on; -1 for the board
};

/// What the objective asks of one opening.
struct OpeningFacts {
    double fill = 0;    ///< how far its height is from 1/2 to 4/5 filled; 1 empty
    double breadth = 0; ///< the same of its width, from 2/5 to 9/10
    double accent =
        0; ///< 1 where things stand, and none of the accent's colour; how far it is too much
    double masses = 0;  ///< how scattered its colours are
    double stacks = 0;  ///< the share of lying books wider than what they lie on
    double face = 0;    ///< mm² of all fronts
    double outside = 0; ///< of it what is of no family
    int books = 0;
    int lying = 0;
    std::uint64_t materials = 0;   ///< a bit for each
    std::array<double, 2> light{}; ///< L* times front, left and right of the unit's middle
    std::array<double, 2> lit{};   ///< fronts there
};

/// `middle`: where the unit's middle is, from the opening's left. `accents`: which family the
/// accent is; nothing without one.
[[nodiscard]] OpeningFacts factsOf(double width, double height, double middle,
                                   std::span<const Spot>, std::optional<std::size_t> accents);

/// The terms of the objective, each from 0, which is best, to 1.
enum class DressTerm {
    fill,
    breadth,
    accent,
    masses,
    stacks,
    outside,
    bookMix,
    materials,
    balance
};
inline constexpr std::size_t dressTerms = 9;
[[nodiscard]] std::string_view dressTermName(DressTerm);
[[nodiscard]] double dressWeight(DressTerm);

struct DressScore {
    std::array<double, dressTerms> terms{};
    double whole = 0; ///< each times its weight

    [[nodiscard]] double of(DressTerm t) const { return terms[static_cast<std::size_t>(t)]; }
};
[[nodiscard]] DressScore scoreOf(std::span<const OpeningFacts>);

/// The score of openings as they are dressed; docs/dressing.md tells how it is reckoned.
[[nodiscard]] DressScore scoreOf(const Scene&, const std::vector<DressedSurface>&);

} // namespace mezzet
