#pragma once

#include "measure/length.h"
#include "measure/mass.h"

#include <vector>

namespace mezzet {

/// A weight that stands at one place on a shelf.
struct PointLoad {
    Length at; ///< from the shelf's left end
    Mass weight;
};

/// A shelf as a beam on its brackets.
struct ShelfBeam {
    Length length;
    Length depth;              ///< front to back
    Length thickness;          ///< as it measures, not as it is called
    double modulus = 0;        ///< of bending, GPa
    std::vector<Length> props; ///< brackets, from the left end, in order; at least two
    bool clamped = false;      ///< the outer two hold the shelf level, as a housed shelf's ends do
    double load = 0;           ///< spread evenly, newtons per metre, with its own weight
    std::vector<PointLoad> loads;
};

struct Sag {
    Length deflection; ///< the most, under the line of its props; an end that drops counts too
    Length at;         ///< where, from the left end
    Length span;       ///< the bay between props it is in; twice the overhang for a free end
    double ratio = 0;  ///< deflection over that span
    std::vector<double> reactions; ///< newtons, one a prop; below 0 it would lift off
};

/// How far a shelf bends: Euler-Bernoulli beam elements between props, loads and ends, which are
/// exact at their ends for these loads, and inside by the cubic of the end values and the evenly
/// spread load's own w x²(L-x)²/24EI. No stiffness, or under two props, gives nothing.
[[nodiscard]] Sag sagOf(const ShelfBeam&);

/// The span between two end props at which a shelf like this, evenly loaded, sags by `ratio` of the
/// span: L³ = 384 E I ratio / (5 w), or 384 E I ratio / w when clamped.
[[nodiscard]] Length spanThatHolds(const ShelfBeam&, double ratio);

} // namespace mezzet
