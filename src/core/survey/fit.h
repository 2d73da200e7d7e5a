#pragma once

#include "adjust/adjust.h"
#include "survey/traverse.h"

namespace mezzet {

/// One thing taped, as the adjustment sees it. Lengths are in mm, corners in degrees.
struct FitItem {
    enum class Is {
        run,      ///< a wall
        parts,    ///< what was taped piece by piece along a wall
        diagonal, ///< from corner to corner
        corner,   ///< the inside angle at the far end of a wall
        column    ///< a column's distance from a wall
    };
    Is is = Is::run;
    int wall = 0;         ///< the wall; diagonal: where it starts
    int other = 0;        ///< diagonal: where it ends; column: which
    bool assumed = false; ///< a corner taken to be square
    NotePlace place;
    std::string name;        ///< "wall C", "diagonal A to D", "the corner of A and B"
    std::vector<Taped> made; ///< the lengths it is made of
    double observed = 0;
    double computed = 0; ///< from the adjusted corners
    double sigma = 0;    ///< standard error it was given
    double standardised = 0;
    double share = 0; ///< 0: nothing checks it; 1: wholly checked
    bool setAside = false;

    [[nodiscard]] bool angular() const { return is == Is::corner; }
    [[nodiscard]] double residual() const { return computed - observed; }
};

/// A measurement that doesn't fit the others.
struct Suspect {
    int item = -1;           ///< index in Fit::items
    double standardised = 0; ///< how many standard errors it is off; signed as likely less taped
    double likely = 0;       ///< what all the others say it should read
    double likelySigma = 0;
    std::string slip;  ///< "a foot dropped"; empty when none is recognised
    std::string words; ///< a sentence for people
};

/// The one more measurement that would tell most.
struct NextMeasure {
    int from = 0; ///< corner, by the wall that begins there
    int to = 0;
    Length expected;    ///< about what it should read
    Length worstBefore; ///< standard error of the least sure corner, now
    Length worstAfter;  ///< and with it
    std::string words;
};

/// How all that was taped fits together.
struct Fit {
    bool possible = false;         ///< false while the walls don't go round
    bool determined = false;       ///< false when a corner is left free to move
    std::vector<Vec2> corners;     ///< adjusted, wall A along x
    std::vector<Vec2> columns;     ///< their middles
    std::vector<Ellipse> sure;     ///< a corner each
    std::vector<FitItem> items;    ///< walls first, in order
    std::vector<Suspect> suspects; ///< most likely first
    std::optional<NextMeasure> next;
    int redundancy = 0;
    double chiSquare = 0;
    /// Standard error of unit weight: 1 when all fits as well as the tools allow.
    double unitWeight = 0;
    std::string words; ///< what is wrong, or how sure all is
};

/// Adjusts by least squares all that was taped in a closed or nearly closed room: runs, parts along
/// walls, measured and assumed corners, diagonals and columns. A measurement more than 4 standard
/// errors off, without which the rest fits, is set aside and named. Suspects are ranked by how far
/// the sum of squares falls without each (for small misses the same as Baarda's standardised
/// residual), a recognised slip breaking near ties.
[[nodiscard]] Fit fit(const TapeNotes&, const Traverse& raw);

} // namespace mezzet
