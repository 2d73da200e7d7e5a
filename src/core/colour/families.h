#pragma once

#include "colour/colour.h"

#include <optional>
#include <span>
#include <vector>

namespace mezzet {

/// So much of one colour.
struct Patch {
    Rgb colour;
    double share = 0; ///< of all, 0 to 1; or any weight that is not below nothing
};

/// Colours that are seen as one.
struct ColourFamily {
    Rgb colour;                       ///< the one in the middle of it
    double share = 0;                 ///< of the whole weight
    std::vector<std::size_t> members; ///< places among the patches it is of
};

/// Within this difference (CIEDE2000) colours are seen as one family; common practice, from memory:
/// at about 20 people no longer call them shades of one colour.
inline constexpr double sameFamily = 20;

/// Patches gathered into families, the largest first: again and again the two nearest are made one,
/// as long as their middles differ by less than `within` (average linkage over CIEDE2000).
[[nodiscard]] std::vector<ColourFamily> familiesOf(std::span<const Patch>,
                                                   double within = sameFamily);

/// Two main colours and an accent.
struct PaletteChoice {
    std::vector<Rgb> families; ///< the main one first
    std::optional<Rgb> accent;
};
/// Chosen from families, the largest first: the two largest, the second only when it has more than
/// `least` of all; and of the others that have `most` at most the most colourful as the accent.
[[nodiscard]] PaletteChoice choosePalette(std::span<const ColourFamily>, double least = 0,
                                          double most = 1);

/// The dominant colours of a picture, the largest first, at most so many; their shares add up to 1.
/// `pixels`: 0xAARRGGBB; what is more than half transparent is left out. Colours are counted in
/// cells of 8 by 8 by 8 and gathered by means in L*a*b*; what looks alike (CIEDE2000 under 8) or is
/// less than a hundredth goes to what is next to it.
[[nodiscard]] std::vector<Patch> dominantColours(std::span<const std::uint32_t> pixels, int most);

} // namespace mezzet
