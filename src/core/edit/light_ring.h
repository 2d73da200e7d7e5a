#pragma once

#include "edit/verb.h"

namespace mezzet {

/// "ring of 6 recessed lights 48 across over supper table": as many lights as said, evenly round a
/// circle, tied to what is under them so that they go with it; empty when this is none, and nothing
/// is taken.
[[nodiscard]] std::optional<Edit> readLightRing(WordsReader&, const Scene&);
[[nodiscard]] VerbHelp lightRingHelp();

} // namespace mezzet
