#pragma once

#include "edit/edit.h"

#include <vector>

namespace mezzet {

/// Takes pieces away; a group with all it holds.
[[nodiscard]] Edit removePieces(const Project&, const std::vector<int>& ids);

/// A piece like another one, free and unlocked where that one stands, under a name not yet in
/// `names`.
[[nodiscard]] Piece copyOf(const Piece&, const Placed&, const Scheme& names);

/// Copies pieces, a step aside. They are the last ones of the scheme afterwards, in the same order.
[[nodiscard]] Edit copyPieces(const Project&, const Scene&, const std::vector<int>& ids, Vec2 step);

/// Locks pieces where they stand, or unlocks them.
[[nodiscard]] Edit lockPieces(const Project&, const Scene&, const std::vector<int>& ids, bool on);

} // namespace mezzet
