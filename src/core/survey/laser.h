#pragma once

#include "survey/tape_notes.h"

#include <random>

namespace mezzet {

/// One pull of a laser measure's trigger, as it comes over the line:
///
///     reading 7 4571.6 mm 2026-11-24T09:15:03
///
/// a running number, the distance with its unit (mm, m, cm or in), and the time. Plain text, a line
/// a reading; docs/laser.md.
struct LaserReading {
    int number = 0;
    Length distance;
    std::string figure; ///< as sent, "4571.6 mm"
    std::string time;   ///< as sent
};

[[nodiscard]] Result<LaserReading> readLaserLine(std::string_view);
[[nodiscard]] std::string writeLaserLine(const LaserReading&);

/// How a laser measure misses, for the one that is simulated.
struct LaserNoise {
    Length fixed = Length::millimetres(1.5); ///< standard error
    double share = 1e-4;                     ///< of the distance, added to it
    /// How often a reading slips: the beam hits a frame, or the back edge is taken for the front.
    double slips = 0.03;
};

/// What it shows for a true distance, to a tenth of a millimetre. `slipped` tells, when given,
/// whether it was a slip.
[[nodiscard]] Length simulatedReading(Length truth, const LaserNoise&, std::mt19937&,
                                      bool* slipped = nullptr);

/// The distances of a room in the order one walks it: each wall in turn, then the diagonals that
/// are in the notes, with what each is.
struct WalkStep {
    std::string what; ///< "wall A", "diagonal A to C", "the ceiling"
    Length truth;
};
[[nodiscard]] std::vector<WalkStep> walkOf(const TapeNotes&);

} // namespace mezzet
