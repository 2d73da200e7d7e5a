#pragma once

#include "measure/length.h"
#include "measure/mass.h"

namespace mezzet {

/// A wire between two rings on the back of a frame, pulled up at one hook in the middle or at two
/// hooks the same way out from it.
struct WireHang {
    Length ringSpacing; ///< ring to ring, level
    Length ringsDown;   ///< top edge of the frame to the rings
    Length wire;        ///< length of the wire between the rings; at least the spacing
    int hooks = 1;      ///< 1 or 2
    Length hookSpacing; ///< of two hooks; under the ring spacing
    Mass weight;
};

struct WireDrop {
    Length rise;          ///< how far over the rings the hooks pull the wire
    Length drop;          ///< top edge of the frame to where the hooks take the weight
    double tension = 0;   ///< in the wire, newtons
    bool overTop = false; ///< the hooks would show above the frame
};

/// Where a wire takes the weight, under tension. The wire is taken not to stretch: its legs from
/// ring to hook and the part between two hooks, which lies level, add up to its length, so
/// rise² = ((wire - hookSpacing)/2)² - ((ringSpacing - hookSpacing)/2)² (Pythagoras). Each leg
/// carries half the weight at its slope: tension = (weight/2) / (rise/leg). A wire no longer than
/// the spacing does not rise, and its tension is infinite.
[[nodiscard]] WireDrop wireDrop(const WireHang&);

/// The wire that brings the hook to a wanted drop; the other way round.
[[nodiscard]] Length wireFor(const WireHang&, Length drop);

} // namespace mezzet
