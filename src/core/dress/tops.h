#pragma once

#include "dress/solve.h"

#include <string_view>

namespace mezzet {

/// The terms by which a tabletop is dressed, each from 0, which is best, to 1; docs/dressing.md
/// tells how each is reckoned.
enum class TopTerm { heights, odd, outside, accent, materials, breadth, reach };
inline constexpr std::size_t topTerms = 7;
[[nodiscard]] std::string_view topTermName(TopTerm);
[[nodiscard]] double topWeight(TopTerm);

struct TopScore {
    std::array<double, topTerms> terms{};
    double whole = 0; ///< each times its weight
};
/// How a top is dressed, by the scheme's palette.
[[nodiscard]] TopScore topScoreOf(const Scene&, const DressedSurface&, const PaletteNow&);

/// Dresses one top from the stock: three things, or five where it is long, of three heights, one of
/// each entry of the stock, the tallest at the back. What is locked or is none of the stock stays
/// where it is, and they stand beside it. Every three are tried; five are the best threes with
/// every two more. Best answer first; the others have two other things at least. Problem: it has no
/// top, or there is nothing at hand that has room there.
[[nodiscard]] Result<std::vector<DressAnswer>>
dressTop(const Project&, const Scene&, int piece, const DressWish&, const StopsDressing& = {});

} // namespace mezzet
