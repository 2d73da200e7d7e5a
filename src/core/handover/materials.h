#pragma once

#include "project/project.h"

#include <string>
#include <vector>

namespace mezzet {

/// What a room wants that is no piece of it: paint for walls and a ceiling whose colours are told,
/// pads that are told under rugs.
struct Material {
    std::string name; ///< "Wall paint", "Pad for Rug": the same whatever the colour
    std::string room;
    int quantity = 1; ///< of paint litres, or gallons in feet and inches, rounded up
    std::string note; ///< its colour and area, how thick a pad is
    std::array<std::optional<Length>, 3> size{}; ///< of a pad
};

/// How much paint a room's surfaces want that have a colour, in litres: two coats at 10 m² a litre
/// and coat (common practice).
[[nodiscard]] double paintLitres(double squareMetres);
inline constexpr double paintCoats = 2;
inline constexpr double litresAGallon = 3.785411784;
/// The same of an area in mm², as it is bought and said.
struct PaintWanted {
    int quantity = 1;    ///< litres, or gallons in feet and inches, rounded up
    std::string amount;  ///< "4 litres"
    std::string goesFor; ///< the area that one of them covers once, which is assumed: "10 m²"
};
[[nodiscard]] PaintWanted paintFor(double area, Units);

/// Of one scheme and its room, in order: walls, ceiling, pads.
[[nodiscard]] std::vector<Material> materialsOf(const Project&, std::size_t scheme);

} // namespace mezzet
