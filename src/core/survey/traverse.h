#pragma once

#include "geometry/vec.h"
#include "survey/tape_notes.h"

#include <string>
#include <vector>

namespace mezzet {

/// How well the taped runs close on themselves, before anything is adjusted.
struct Closure {
    bool closed = false;    ///< goes round, and within the tolerance
    bool turnsOnce = false; ///< the corners make a full turn
    Length misclosure;      ///< from where the last wall ends to where A begins
    Vec2 step;              ///< that, as a step, mm
    Length perimeter;       ///< sum of the runs as taped
    double ratio =
        0; ///< perimeter over misclosure: closes 1 in this many; 0 when it closes to nothing
    Angle angular;                   ///< 360 degrees less the turns of all corners
    std::vector<Length> corrections; ///< how much each wall grew by the adjustment
    std::string words;               ///< a sentence for people
    /// It goes round, but what was measured speaks against the right angles it was closed with.
    bool doubted = false;
};

/// The runs laid end to end.
struct Traverse {
    std::vector<Vec2> raw;      ///< where each wall begins and, last, where the last one ends; mm
    std::vector<Vec2> balanced; ///< the misclosure spread by the compass rule, wall A along x
    std::vector<Angle> inside;  ///< corners as used
    Closure closure;
};

/// Lays the runs end to end from the corner of wall A, along +x. Measured angles share an angular
/// misclosure of up to 3 degrees evenly; unknown corners share what the others leave of a full
/// turn.
[[nodiscard]] Traverse traverse(const TapeNotes&);

/// Spreads a misclosure by the compass (Bowditch) rule: each corner moves by the misclosure times
/// the share of the perimeter run so far (any surveying textbook). `raw` has one point more than
/// there are runs; so many as runs come back.
[[nodiscard]] std::vector<Vec2> compassRule(const std::vector<Vec2>& raw);

} // namespace mezzet
