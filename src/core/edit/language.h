#pragma once

#include "edit/verb.h"
#include "measure/example.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// What a name would be taken for if it were a piece's: "a word of the line", "wall A"; empty for
/// one that can be a name. A kind's own word can.
[[nodiscard]] std::string wordOfTheLine(std::string_view name, const Project&);

/// A line without what is only politeness: "please" and "thanks" at its end, a full stop. Of what
/// is free text, like a note, all is kept.
[[nodiscard]] std::string_view withoutCourtesy(std::string_view line);
/// How many bytes of a line only begin it: "hm, ", "actually ", "and then "; 0 where nothing
/// follows them.
[[nodiscard]] std::size_t openingWords(std::string_view line);

/// A sentence that another follows: without the full stop at its end.
[[nodiscard]] std::string withoutStop(std::string sentence);
/// A preview without what was told before it: "wiring is for a licensed electrician", of each of
/// several lights that are said in turn.
[[nodiscard]] std::string withoutNotices(std::string preview,
                                         const std::vector<std::string>& notices);

} // namespace mezzet
