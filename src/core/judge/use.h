#pragma once

#include "judge/reading.h"

namespace mezzet {

/// The floor something takes while it is used: drawers drawn, doors open, a bed let down, a chair
/// drawn back with a person in it, a window swung in, the front of a fire.
struct UseZone {
    int piece = 0; ///< 0 for something built in, or a window
    Target what;
    std::string says; ///< "drawers"
    std::vector<Vec2> outline;
    Length wanted; ///< how deep it is
    Length free;   ///< how much of that is free
    Target stops;  ///< what stands in it; none when all is free
};
/// All of them, of a scene; those that clash have less free than wanted.
[[nodiscard]] std::vector<UseZone> useZones(const FloorView&, const RuleBook&);

} // namespace mezzet
