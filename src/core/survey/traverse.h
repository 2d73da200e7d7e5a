#pragma once

#include "geometry/vec.h"
#include "survey/tape_notes.h"

#include <string>
#include <vector>

namespace mezzet {

/// A diagonal as taped, against what the adjusted corners give.
struct DiagonalCheck {
    int from = 0; ///< wall index of the corner it starts from
    int to = 0;
    Length taped;
    Length computed;
    bool agrees = true; ///< within the notes' tolerance, and never nearer than 1/4 in asks
};

/// How well the taped runs close on themselves.
struct Closure {
    bool closed = false;
    Length misclosure; ///< from where the last wall ends to where A begins
    Vec2 step;         ///< that, as a step, mm
    Length perimeter;  ///< sum of the runs as taped
    double ratio =
        0; ///< perimeter over misclosure: closes 1 in this many; 0 when it closes to nothing
    Angle angular;                   ///< 360 degrees less the turns of all corners
    std::vector<Length> corrections; ///< how much each wall grew, in order of walls
    std::string words;               ///< a sentence for people
};

/// The corners of a room, adjusted when it closes.
struct Traverse {
    std::vector<Vec2>
        corners; ///< where each wall begins, mm; one more at the end when it stays open
    Closure closure;
    std::vector<DiagonalCheck> diagonals;
};

/// Lays the runs end to end from the corner of wall A, along +x, and spreads the misclosure by the
/// compass (Bowditch) rule: each corner moves by the misclosure times the share of the perimeter
/// run so far (any surveying textbook). Measured angles share an angular misclosure of up to 3
/// degrees evenly. The answer is turned so that wall A lies along x again. When it closes worse
/// than the notes' tolerance, or the corners don't make a full turn, nothing is spread and it stays
/// open.
[[nodiscard]] Traverse traverse(const TapeNotes&);

} // namespace mezzet
