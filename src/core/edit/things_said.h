#pragma once

#include "edit/verb.h"
#include "edit/words_reader.h"

namespace mezzet {

/// A line that puts things on shelves and tables, "stack of 5 blue books, widest below, left of
/// opening 2", or moves one there; empty when this is none, and nothing is taken. Things get their
/// places here: side by side, on each other, at an edge of their board. Throws LineFault for what
/// has no room there.
[[nodiscard]] std::optional<Edit> readThings(WordsReader&, const Scene&);

/// Whether a line is one that `readThings` takes, whatever comes of it: said in other words it
/// would mean something else.
[[nodiscard]] bool isOfThings(std::string_view line, const Project&);

/// A line that speaks of the stock, of colours, of a palette; empty when this is none.
[[nodiscard]] std::optional<Edit> readDressing(WordsReader&);
[[nodiscard]] std::vector<VerbHelp> dressingVerbs();

} // namespace mezzet
