#pragma once

#include "edit/edit.h"
#include "edit/things_where.h"

namespace mezzet {

/// Gives each of several things its place on a board, side by side, as it was said. `high`: of what
/// is piled on the first. Throws LineFault, which points from `start` on, where they have no room.
void layThings(WordsReader&, const Scene&, const WhereSaid&, std::vector<Piece>&, std::size_t start,
               double high = 0);

/// What is to be said where such things go: no open flame, nothing heavy high up.
void cautionOf(const std::vector<Piece>&, const Scene&, Edit&);

} // namespace mezzet
