#pragma once

#include "edit/words_reader.h"

#include <vector>

namespace mezzet {

/// As many as are wanted, each so far from the next, about what the tie centres one on.
[[nodiscard]] std::vector<Placement> spaced(int count, const Placement& model, const Tie& middle,
                                            Length pitch);

/// "three pictures between the doors": what hangs midway between two things hangs so far from the
/// middle of its wall, about which others may be spaced.
void betweenAsMiddle(Placement&, const Scene&);

/// Several that are placed as the first is said to be, about the middle of what that names: a pair
/// opposite a sofa, three pictures above a sideboard. Fills in a place for each of `count`, so far
/// from one another; `first` is what they are like. False, and nothing changed, when the first is
/// not placed so.
[[nodiscard]] bool aboutItsMiddle(std::vector<Placement>& places, int count, const Piece& first,
                                  Length gap);

/// "two ottomans in front of the sofa": about its middle, so far from one another; none where the
/// first is not placed before or behind a piece, or where along it is said.
[[nodiscard]] std::vector<Placement> beforeItsMiddle(const Placement& first, int count,
                                                     const Piece& like, Length gap);

/// Stools and chairs that are put along a side of a table, an island or a counter: looking at it,
/// each in the middle of its share of that side, or so far apart. Of what one works at it is the
/// other side, where none was said. False, and nothing changed, for all else.
[[nodiscard]] bool seatsAlong(std::vector<Placement>& places, int count, const Piece& first,
                              std::optional<Length> apart, bool sideSaid, const Scene&);

/// The gap between so many wall lights over a piece, each in the middle of its share of it; nothing
/// for what else hangs.
[[nodiscard]] Length sharedOver(const Placement& placed, const Piece& one, int count, const Scene&);

} // namespace mezzet
