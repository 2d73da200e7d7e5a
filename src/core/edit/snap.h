#pragma once

#include "edit/edit.h"

namespace mezzet {

/// What a dragged piece would snap to: a tie that holds there.
struct SnapOffer {
    Vec2 step; ///< the step, corrected so that the tie holds exactly; mm
    std::vector<Tie> ties;
    std::string words;          ///< "against wall C and centred on window 2"
    std::vector<Segment> lines; ///< what it lines up with, to be drawn
};

/// The ties near where a step would bring one piece, within a reach: back to a wall it is already
/// square to, centred on a wall, a window, a chimney or a piece, edge to edge in line with a
/// neighbour. At most one across and one along. Empty when nothing is near, the piece is locked, or
/// a tie it has holds that coordinate already.
[[nodiscard]] std::optional<SnapOffer> snapFor(const Project&, const Scene&, int piece, Vec2 step,
                                               Length reach);

} // namespace mezzet
