#pragma once

#include "judge/handle.h"
#include "scheme/resolve.h"

namespace mezzet {

/// A rug as the rules look at it.
struct Lying {
    std::size_t index = 0;
    std::vector<Vec2> corners; ///< clockwise
    double area = 0;           ///< mm²
};

/// Those on the floor, not a stair's runner; `layered`: those on larger ones too.
[[nodiscard]] std::vector<Lying> rugsOf(const FloorView&, bool layered);

/// More than two and a half times as long as it is wide.
[[nodiscard]] bool isRunner(const Piece&);

/// "size NAME 96 wide" of whichever of a rug's figures runs that way, grown by so many mm.
[[nodiscard]] Handle widen(const Project&, const Scene&, int rug, Vec2 way, double by,
                           double slope);

} // namespace mezzet
