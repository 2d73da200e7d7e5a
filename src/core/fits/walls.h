#pragma once

#include "fits/fits.h"

namespace mezzet {

/// What size suits the free wall over a piece of furniture: the region less breathing room, the
/// proportion it wants, the stock sizes that fit, the largest of the right proportion first; and of
/// those about two thirds as wide as the furniture. Each choice hangs one there. Names what hangs
/// there now when it is too small. Empty of choices when the wall over it is taken.
[[nodiscard]] FitAnswer picturesOver(const Project&, int furniture);

/// A set of the things named (or of all pictures that hang in no group) whose outline is nearest
/// that of one large piece: which of them, and how they lie. The choice makes them a group on the
/// wall of the first of them, as it lies.
[[nodiscard]] FitAnswer setLike(const Project&, int large, const std::vector<int>& pool,
                                const GoesOn& = {});

/// Where on a wall a mirror would show a thing to somebody sitting or standing somewhere, and how
/// large it has to be to show all of it; then what a usual one would show there, from every place.
[[nodiscard]] FitAnswer mirrorShowing(const Project&, int wall, const Target& thing,
                                      const Target& from);

/// A ledge shelf for the dead space between a sofa's back and the sill behind it: as deep as the
/// gap, as long as sofa and window share, its top at the sofa's back. Says why when there is none.
[[nodiscard]] FitAnswer ledgeBehind(const Project&, int sofa);

} // namespace mezzet
