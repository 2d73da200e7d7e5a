#pragma once

#include "rules/rule_book.h"
#include "scheme/resolve.h"
#include "work/boards.h"

#include <string>
#include <vector>

namespace mezzet {

/// A board of a shelf, a ledge or a unit of the job.
struct ShelfBoard {
    int piece = 0;
    std::string name; ///< "Lantern ledge", "Tall shelves, shelf 2"
    Length length;
    Length width;
    Length thickness;
    std::string material; ///< empty when it is not told, and none is usual
    Mass weight;
    bool assumed = false;           ///< the material is the usual one
    std::vector<std::string> edges; ///< which are seen, and finished
    std::vector<Length> pilots;     ///< from its left end, where screws go into brackets or studs
    bool intoStuds = false;         ///< those lie on studs that were measured
};

/// The boards of what hangs and is a shelf, and of units whose openings are told: shelves, sides,
/// top and bottom. Units of the kit that are bought whole are left out unless `units`.
[[nodiscard]] std::vector<ShelfBoard> shelfBoards(const Scene&, const RuleBook&, bool units = true);

/// Stock that boards of one thickness and material are cut of: 8 ft, or 2.4 m, of the least usual
/// width that holds them all; longer where a board is. Kerf 1/8 in, or 3 mm.
struct BoardLot {
    std::string material;
    Length thickness;
    BoardSize stock;
    Length kerf;
    std::vector<std::size_t> boards; ///< in the list of boards
    BoardPlan plan;
};
[[nodiscard]] std::vector<BoardLot> boardLots(const std::vector<ShelfBoard>&, const Notation&);

} // namespace mezzet
