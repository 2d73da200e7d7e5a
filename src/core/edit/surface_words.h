#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Puts a piece on the surface that was said of it. What stands on a board and is told no place
/// there stands in its middle; what is new under the ceiling hangs as its kind usually does.
void settleSurface(Piece&, Placement&, const Scene&);

} // namespace mezzet
