#pragma once

#include "edit/phrase.h"

namespace mezzet {

// Clauses of what stands beside something, as more than one phrase reads them.

/// "by window 1", "6 left of door 1": its back to the wall, beside what is in it, on the side with
/// more free wall when none is said. "by wall A": its back to it.
[[nodiscard]] bool byWall(Placing&, const Target&, Length gap);

/// "16 in front of sofa", "beside sofa", "by window 1": what was said is in Placing::said.
/// `unsaid`: no figure was, so that what has a usual gap before a seat keeps that.
[[nodiscard]] bool beside(Placing&, Length gap, bool unsaid = false);

/// "between sofa and window 1", "between window 1 and wall B"
[[nodiscard]] bool between(Placing&);

} // namespace mezzet
