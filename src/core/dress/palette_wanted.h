#pragma once

#include "edit/edit.h"
#include "things/dressed.h"

#include <optional>

namespace mezzet {

/// What things of a stock are chosen by: the scheme's palette as it was said; else the two main
/// families of the whole stock, and its accent.
[[nodiscard]] PaletteNow paletteWanted(const Scheme&, const Stock&,
                                       const std::vector<DressedSurface>&);

/// The palette it was dressed by as the scheme's from now on; nothing where one was said.
[[nodiscard]] std::optional<SetDressing> keptPalette(const Scheme&, const PaletteNow&);

} // namespace mezzet
