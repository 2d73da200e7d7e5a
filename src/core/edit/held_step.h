#pragma once

#include "edit/drag.h"

namespace mezzet {

/// The first piece that goes through a wall, a ceiling or what is built in, and did not before; 0
/// for none. Looks at what is elsewhere in `now` than in `was`: what is moved, and what goes along
/// with it, but for rugs, which are pulled forward afterwards.
[[nodiscard]] int goesThrough(const Project&, const Scene& was, const Scene& now,
                              const std::vector<int>& moved);

/// A drag that a wall stops: the step nearest to the one that is wanted at which nothing goes
/// through a wall, past its end or into what is built in, of what didn't before. It slides along a
/// wall it meets.
struct HeldStep {
    Vec2 step;           ///< mm, on the surface
    std::string stops{}; ///< what stops it: "wall A"; empty where nothing does
};
[[nodiscard]] HeldStep heldStep(const Project&, const Scene&, const std::vector<int>& ids,
                                Vec2 wanted, DragTies);

} // namespace mezzet
