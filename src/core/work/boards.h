#pragma once

#include "measure/length.h"
#include "measure/notation.h"
#include "measure/result.h"

#include <vector>

namespace mezzet {

/// A board, or a sheet of stock: along the grain first.
struct BoardSize {
    Length along;
    Length across;

    bool operator==(const BoardSize&) const = default;
};

/// How boards are to be cut.
struct BoardAsk {
    BoardSize stock;
    Length kerf;       ///< what the saw takes
    bool turn = false; ///< boards may lie across the grain
    Notation shown{};  ///< how lengths are written where something is refused
};

/// One board, where it is cut out of its sheet.
struct BoardCut {
    std::size_t board = 0; ///< its index in the order asked
    Length along;          ///< of its near corner, from the sheet's end
    Length across;         ///< and from its edge
    BoardSize size;        ///< as it lies
};

struct BoardPlan {
    std::vector<std::vector<BoardCut>> sheets; ///< the fullest first
    double waste = 0;                          ///< the share of all sheets that no board is of
    bool least = false;                        ///< no plan of through cuts takes fewer sheets
};

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostBoards = 500;

/// Cuts boards out of sheets of one size so that the fewest sheets are used, and of those plans
/// one that leaves the most in one piece. Every cut goes through from edge to edge of what it cuts
/// (as a table saw or a track saw does), and each takes a kerf; the last in a line takes none when
/// nothing is left over. Up to some ten different boards, or more that are alike, every such plan
/// is looked through (shapes of all sub-sets, after the slicing trees of floor planning); with more
/// orders and rules of placing are tried from a fixed seed. Deterministic.
/// Problem: none or too many boards, a size of nothing, a kerf below nothing, a board that no sheet
/// holds.
[[nodiscard]] Result<BoardPlan> cutBoards(const std::vector<BoardSize>&, const BoardAsk&);

/// No plan takes fewer sheets: by area, and by boards no two of which one sheet holds.
[[nodiscard]] std::size_t leastSheets(const std::vector<BoardSize>&, const BoardAsk&);

} // namespace mezzet
