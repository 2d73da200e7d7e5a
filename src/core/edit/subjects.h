#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// "armchairs": the kind, where it is said of several; null, and nothing read, otherwise.
KindPtr kindOfSeveral(WordsReader& in);
/// The kind that hangs on a wall in place of one that doesn't: the wall screen of a television.
/// Null where the kit has none.
[[nodiscard]] KindPtr hungInstead(const Kind&, const Kit&);
/// That kind, where the words ahead put a thing on a wall: "television 65 on wall C". Null else.
[[nodiscard]] KindPtr onTheWallAhead(WordsReader&, const Kind&);

/// "two", "a pair of", "a row of 6": how many; 0, and nothing read, for none or one.
[[nodiscard]] int readCount(WordsReader&);

/// "wall C", "the long wall": its index; none, and nothing taken, for anything else.
[[nodiscard]] std::optional<int> takeWall(WordsReader&);

/// The only wall the ceiling comes down to; none where there is no slope, or several.
[[nodiscard]] std::optional<int> wallUnderSlope(const Room&);
/// The only wall that several openings of a kind are in.
[[nodiscard]] std::optional<int> wallOfSeveral(OpeningKind, const Room&);
/// The wall that all openings of a kind are in; none where they are in several, or there are none.
[[nodiscard]] std::optional<int> onlyWallOf(OpeningKind, const Room&);

/// What "each" and "both" go on with: pieces of a kind or of one name, the windows, the doors, or
/// the room's corners.
struct EveryOne {
    std::string one;                ///< what one of them is called
    std::vector<std::string> names; ///< as the line says them
    KindPtr kind;                   ///< of pieces; null where they were said by their name
};
/// Takes it. None for words of something else, as in "each side of sofa".
[[nodiscard]] std::optional<EveryOne> everyOneAhead(WordsReader&, bool corners);

} // namespace mezzet
