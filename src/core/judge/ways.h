#pragma once

#include "judge/reading.h"

namespace mezzet {

/// A way to be drawn.
struct DrawnWay {
    std::vector<Vec2> line;      ///< mm
    std::optional<Length> width; ///< at its narrowest; empty when it is wider than is of interest
    std::array<Vec2, 2> pinch;   ///< there
    bool right = true;           ///< wide enough by the job's band
};

/// The ways between every two doors, or those that lead to one piece, with their narrowest places.
[[nodiscard]] std::vector<DrawnWay> waysToDraw(const FloorView&, const RuleBook&, const Judgement&,
                                               int to = 0);

} // namespace mezzet
