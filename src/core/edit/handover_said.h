#pragma once

#include "edit/verb.h"

namespace mezzet {

/// A line that speaks of the handing over: the list and its budget, tasks and the days that are
/// worked; empty when this is none, and nothing is taken.
[[nodiscard]] std::optional<Edit> readHandingOver(WordsReader&);
[[nodiscard]] std::vector<VerbHelp> handoverVerbs();

} // namespace mezzet
