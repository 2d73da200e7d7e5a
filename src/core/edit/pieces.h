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

/// Each takes the other's place, turn and ties. Problem: they are one, or one of them can't be on
/// the other's surface.
[[nodiscard]] Result<Edit> swapPieces(const Project&, const Scene&, int one, int other);

/// A piece as one of another kind, at that kind's usual size, where it is and under the same ties.
/// One that had the name of its kind takes the new one's. Problem: such a kind can't be there.
[[nodiscard]] Result<Piece> asAnother(const Project&, Piece, const KindPtr&);

} // namespace mezzet
