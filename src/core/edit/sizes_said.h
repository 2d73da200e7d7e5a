#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Sizes each said with its word or letter: "84 wide, 36 deep", "W84 D36 H34", in any order.
struct SizesSaid {
    std::optional<Length> width, depth, height;
};
/// Two or more of them, or any with a letter; none, and nothing read, otherwise. Throws LineFault
/// for one said twice.
[[nodiscard]] std::optional<SizesSaid> readLabelled(WordsReader&);

/// Whether sizes stand here with a kind after them: "90 inch sofa", "84 x 36 sofa", "54 round
/// table". Then the reader stands before the kind.
[[nodiscard]] bool sizesBeforeKind(WordsReader&);

/// Bare figures as they can be meant, `written` as they stand in the line. Those of a rug under 24
/// in both ways are feet, or metres ("9 x 12", "2 x 3"): they are made so, and what is told of it
/// is given back; "" where they stand as they are. Problem: figures longer than the room, which are
/// of another unit.
[[nodiscard]] Result<std::string> meantSizes(std::vector<Length>& sizes, std::string_view written,
                                             const Kind&, const Project&);

} // namespace mezzet
