#pragma once

#include "measure/length.h"
#include "measure/result.h"

#include <vector>

namespace mezzet {

/// Where a flight is broken after so many of its risers: by a landing, or where it turns (winders
/// turn it without one), so that what goes up it is cut there.
struct StairBreak {
    int after = 0;
    Length landing{}; ///< how long; nothing for winders
    bool turns = false;

    bool operator==(const StairBreak&) const = default;
};

/// A runner up a stair. A flight of n risers has n - 1 goings and n nosings.
struct StairRunner {
    Length riser;
    Length going;
    Length nosing = Length::inches(1); ///< how far a tread reaches past its riser
    int risers = 0;                    ///< in all
    Length width;
    std::vector<Length> landings{};   ///< each adds its length, wherever it is
    int turns = 0;                    ///< landings or winders it turns at: a length ends there
    std::vector<StairBreak> breaks{}; ///< more of either, where it is known after which riser
    bool capped = false;              ///< drawn in under each nosing; else it falls from it
    Length pile = Length::inches(0.375);
};

/// Breaks of one stair at most.
inline constexpr std::size_t mostStairBreaks = 20;

/// What is cut for it.
struct StairRunnerCut {
    Length length; ///< developed: over every riser, nosing, going and landing
    int pieces = 1;
    int nosings = 0;
    int rods = 0;              ///< one in each angle between a going and the riser above it
    std::vector<Length> joins; ///< from its foot, where a length ends at one of its breaks
    Length opening;            ///< how far the pile opens where it bends over a nosing
};

/// Developed length: waterfall n R + (n - 1) G; capped 2 N more for each of n nosings; the
/// landings' lengths. The pile opens by its thickness times the bend, in radians: a right angle
/// over a nosing, two where it is capped. A length that turns ends with the going before the turn.
/// Problem: a figure that can't be, a cap with no nosing, a break where there is no riser.
[[nodiscard]] Result<StairRunnerCut> measureRunner(const StairRunner&);

} // namespace mezzet
