#include "dress/palette_wanted.h"

namespace mezzet {

PaletteNow paletteWanted(const Scheme& scheme, const Stock& stock,
                         const std::vector<DressedSurface>& boards) {
    const Dressing& said = scheme.dressing;
    if (!said.families.empty() || said.accent)
        return paletteOf(scheme, boards);
    std::vector<Patch> patches;
    for (const StockThing& t : stock)
        if (const auto c = colourOf(pieceOf(t, t.name)))
            patches.push_back({*c, t.size.width.mm() * t.size.height.mm() * t.count});
    const PaletteChoice chosen = choosePalette(familiesOf(patches));
    PaletteNow out;
    for (const Rgb c : chosen.families)
        out.families.push_back({c, 0});
    if (chosen.accent)
        out.accent = PaletteNow::One{*chosen.accent, 0};
    return out;
}

std::optional<SetDressing> keptPalette(const Scheme& scheme, const PaletteNow& palette) {
    Dressing d = scheme.dressing;
    if (!d.families.empty() || d.accent)
        return {};
    for (const auto& f : palette.families)
        d.families.push_back(f.colour);
    if (palette.accent)
        d.accent = palette.accent->colour;
    return SetDressing{std::move(d)};
}

} // namespace mezzet
