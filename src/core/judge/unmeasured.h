#pragma once

#include "scheme/resolve.h"

namespace mezzet {

/// Something that the work planned needs and nobody has taped.
struct Unmeasured {
    std::string what;  ///< a short sentence: "no sill for window 2: Sideboard stands under it"
    std::string write; ///< what would be added to the notes: ", sill "
    int line = 0;      ///< of the notes it belongs to, 1-based; 0: a line of its own
    int wall = -1;     ///< index, when it is about a wall
};

/// What is still to be measured in a room for what stands in it, most needed first: heights not
/// taped under which furniture stands, undercuts over rugs, studs behind what must be anchored,
/// the ceiling, and a diagonal when nothing braces the room. Common practice.
[[nodiscard]] std::vector<Unmeasured> stillToMeasure(const FloorView&);

} // namespace mezzet
