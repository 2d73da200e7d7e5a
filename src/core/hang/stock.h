#pragma once

#include "measure/length.h"
#include "measure/result.h"
#include "rules/rule_book.h"
#include "scheme/scheme.h"

#include <filesystem>
#include <string>
#include <vector>

namespace mezzet {

/// A size frames and canvases are stocked in, lying: width is the longer side.
struct StockSize {
    Length width;
    Length height;
    bool metric = false;
};

/// What data/walls/ tells: shelf materials and stock sizes. Problem: names file and entry.
struct WallStock {
    std::vector<ShelfMaterial> shelving;
    std::vector<StockSize> sizes;
};
[[nodiscard]] Result<WallStock> loadWallStock(const std::filesystem::path& folder);

/// A material by name in any case; null when there is none.
[[nodiscard]] const ShelfMaterial* materialNamed(const std::vector<ShelfMaterial>&,
                                                 const std::string& name);

/// What the boards of a unit are of.
struct UnitMaterial {
    const ShelfMaterial* is = nullptr; ///< null when no such material is known
    bool assumed = false;
};
/// What was told of it, where that is a material of shelves; else particleboard, which most units
/// are of (common practice), assumed.
[[nodiscard]] UnitMaterial unitMaterial(const std::vector<ShelfMaterial>&, const Piece& unit);

/// How well something suits a free stretch of wall.
struct Suits {
    Length width;
    Length height;
    double covers = 0; ///< share of the free wall
    double off = 0;    ///< how far its proportion is from the free wall's, as a log of their ratio
};

/// The proportion of a free wall in the trade's words: "1:1", "2:3", "1:2" or "1:3", lying or
/// standing, whichever is nearest by ratio.
[[nodiscard]] std::string proportionName(Length width, Length height);

/// Stock sizes that go into a free wall, standing or lying, the best first: the largest of those
/// whose proportion is near the wall's. Metric ones when `metric`.
[[nodiscard]] std::vector<Suits> stockFor(const std::vector<StockSize>&, Length width,
                                          Length height, bool metric);

} // namespace mezzet
