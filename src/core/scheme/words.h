#pragma once

#include "scheme/scheme.h"

namespace mezzet {

/// What is needed to name things: the room, the scheme, and how lengths are written.
struct Wording {
    const Room& room;
    const Scheme& scheme;
    Notation notation;
};

/// "Sofa", "wall C", "corner BC", "window 1".
[[nodiscard]] std::string words(const Target&, const Wording&);
/// "floor", "wall C", "ceiling", "top of Console", "opening 3 of Bookcase".
[[nodiscard]] std::string surfaceName(SurfaceId, const Wording&);
/// "on the floor", "on wall C", "under the ceiling", "on Console", "in opening 3 of Bookcase".
[[nodiscard]] std::string words(SurfaceId, const Wording&);
/// "16\" from Sofa", "centred on window 1, 3\" left", as the line reads it.
[[nodiscard]] std::string words(const Tie&, const Wording&);
/// "left end", "front edge": a side of the board a thing stands on.
[[nodiscard]] std::string_view edgeName(Side);
/// "84 x 36 x 34"
[[nodiscard]] std::string words(const Size&, Notation);
/// The same in the order the line takes them: of a piece on a wall width, height and depth.
[[nodiscard]] std::string sizeWords(const Piece&, Notation);
/// "bottom", "centre" or "top".
[[nodiscard]] std::string_view levelName(Level);
/// "84 x 36", or "54 dia" for a round; of a piece on a wall its width and height.
[[nodiscard]] std::string footprintWords(const Piece&, Notation);
/// "30" or "22.5", without trailing zeros.
[[nodiscard]] std::string words(Angle);

} // namespace mezzet
