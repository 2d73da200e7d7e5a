#pragma once

#include "measure/result.h"

#include <cstdint>
#include <string>
#include <string_view>

namespace mezzet {

/// A colour of the sRGB space (IEC 61966-2-1), as screens and pictures have it.
struct Rgb {
    std::uint8_t r = 0;
    std::uint8_t g = 0;
    std::uint8_t b = 0;

    bool operator==(const Rgb&) const = default;
};

/// CIE 1976 L*a*b* under D65 with the 2-degree observer.
struct Lab {
    double l = 0; ///< 0 black to 100 white
    double a = 0; ///< green to red
    double b = 0; ///< blue to yellow

    bool operator==(const Lab&) const = default;
    [[nodiscard]] double chroma() const;
    /// Degrees from 0 to 360, of a colour that has one.
    [[nodiscard]] double hue() const;
};

/// IEC 61966-2-1 to XYZ, CIE 15 to L*a*b*; the white is that of the space itself, so that greys
/// have no colour.
[[nodiscard]] Lab labOf(Rgb);
/// The other way; what lies outside of sRGB is taken to its edge, channel by channel.
[[nodiscard]] Rgb rgbOf(Lab);

/// How different two colours look: CIEDE2000, its weights 1 (CIE 142-2001; Sharma, Wu and Dalal,
/// 2005).
[[nodiscard]] double colourDifference(Lab, Lab);

/// "#rrggbb"
[[nodiscard]] std::string hexOf(Rgb);
/// "#a0b", "#aa00bb", a plain word ("cream", "dark green"). Problem: it is none of these.
[[nodiscard]] Result<Rgb> readColour(std::string_view);
/// The same, or "lab(50, 2.68, -79.8)".
[[nodiscard]] Result<Lab> readLab(std::string_view);

/// The plain word nearest to a colour: "cream", "navy".
[[nodiscard]] std::string_view colourWord(Rgb);
/// The longest colour that a text begins with, in words ("dark green books" begins with "dark
/// green") or as "#rrggbb"; how many bytes it takes, 0 for none.
struct ColourSaid {
    Rgb colour;
    std::size_t bytes = 0;
};
[[nodiscard]] ColourSaid colourAhead(std::string_view lower);

} // namespace mezzet
