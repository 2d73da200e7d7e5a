#pragma once

#include "measure/length.h"
#include "measure/result.h"

#include <vector>

namespace mezzet {

/// A runner up a stair. A flight of n risers has n - 1 goings and n nosings.
struct StairRunner {
    Length riser;
    Length going;
    Length nosing = Length::inches(1); ///< how far a tread reaches past its riser
    int risers = 0;                    ///< in all
    Length width;
    std::vector<Length> landings{}; ///< each adds its length
    int turns = 0;                  ///< landings or winders it turns at: a length ends there
    bool capped = false;            ///< drawn in under each nosing; else it falls from it
    Length pile = Length::inches(0.375);
};

/// What is cut for it.
struct StairRunnerCut {
    Length length; ///< developed: over every riser, nosing, going and landing
    int pieces = 1;
    int nosings = 0;
    int rods = 0;   ///< one in each angle between a going and the riser above it
    Length opening; ///< how far the pile opens where it bends over a nosing
};

/// Developed length: waterfall n R + (n - 1) G; capped 2 N more for each of n nosings; the
/// landings' lengths. The pile opens by its thickness times the bend, in radians: a right angle
/// over a nosing, two where it is capped. Problem: a figure that can't be, a cap with no nosing.
[[nodiscard]] Result<StairRunnerCut> measureRunner(const StairRunner&);

} // namespace mezzet
