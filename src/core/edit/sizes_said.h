#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// The sizes said here, if any, given to the piece: "84 x 36 x 34", "36 high", "54 round", or each
/// with its word or letter, "84 wide, 36 deep", "W84 D36 H34". Whether there were any.
///
/// A rug's bare figures under 24 in both ways are feet, or metres ("9 x 12", "2 x 3"); that is
/// added to `notices`. Throws LineFault for figures longer than the room, which are of another
/// unit, for a size said twice and for what no piece has.
bool readSizes(WordsReader&, Piece&, bool isNew, std::vector<std::string>& notices);

/// Whether its length is from front to back: of a bed, of a chaise, of a rug that lies so.
[[nodiscard]] bool isLongFrontToBack(const Piece&);
/// A runner that lies along: its depth is how wide it is across.
[[nodiscard]] bool liesAlong(const Piece&);

/// Whether so much is how high a thing of its kind's own size hangs, and no size of it: many times
/// as high as it is.
[[nodiscard]] bool isHungSoHigh(const Piece&, Length high);

/// Whether sizes stand here with a kind after them: "90 inch sofa", "84 x 36 sofa", "54 round
/// table". Then the reader stands before the kind.
[[nodiscard]] bool sizesBeforeKind(WordsReader&);

/// The same of a new piece, where a figure may be none of its own ("stool 0 from sofa"): false
/// then, and nothing read.
bool readSizesIfAny(WordsReader&, Piece&, std::vector<std::string>& notices);

/// "… for six", behind a table one sits in to: as long as so many need. Nothing is taken where no
/// number is said. Few sit at a size that is assumed, which `notices` tell. Faults for a number no
/// table seats.
void sizeForPeople(WordsReader&, Piece&, std::vector<std::string>& notices);

} // namespace mezzet
