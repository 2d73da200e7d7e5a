#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Takes a clause that says on which surface a piece is, or where it is on one that no floor has:
/// "on console", "in opening 2 of bookcase", "4 from left end", "33 above supper table", "bottom at
/// 7'". False, and nothing taken, when the words ahead say no such thing.
[[nodiscard]] bool readSurface(WordsReader&, const Piece& subject, const Scene&, Placement&);

/// Puts a piece on the surface that was said of it. What stands on a board and is told no place
/// there stands in its middle; what is new under the ceiling hangs as its kind usually does.
void settleSurface(Piece&, Placement&, const Scene&);

} // namespace mezzet
