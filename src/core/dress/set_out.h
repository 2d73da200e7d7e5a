#pragma once

#include "dress/score.h"

#include <vector>

namespace mezzet {

/// How the books of an opening are: all standing, all lying in stacks, or of each kind every third
/// lying.
enum class Books { stand, lie, some };

/// Things alike, as they are set out.
struct ThingClass {
    Size size;         ///< as one stands
    Spot look;         ///< its colour, material and front
    bool flat = false; ///< leans at the back
};

/// An opening to be dressed, with what stays in it; mm.
struct OpeningRoom {
    SurfaceId id;
    double width = 0;
    double depth = 0;
    double height = 0;
    double middle = 0;     ///< the unit's middle, from the opening's left
    bool mirrored = false; ///< begins at the right
    std::vector<Spot> fixed;
};

/// One thing set out.
struct Laid {
    std::size_t kind = 0;
    double x = 0; ///< of what stands on the board: from its left, and from its back; mm
    double y = 0;
    double width = 0;
    double depth = 0;
    Lies lies = Lies::standing;
    int on = -1; ///< which of these it stands on; -1 for the board
};

/// Sets out so many of each kind in an opening: books by colour in one run, stacks of those that
/// lie, the widest below and at most half as high as the opening, on each the tallest thing that
/// has room there; the rest beside, by colour; what leans at the back. `spots` gets them after what
/// is in it. False where they have no room.
[[nodiscard]] bool setOut(const OpeningRoom&, const std::vector<ThingClass>&,
                          const std::vector<int>& counts, Books, std::vector<Spot>& spots,
                          std::vector<Laid>* laid);

} // namespace mezzet
