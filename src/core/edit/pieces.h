#pragma once

#include "edit/edit.h"

#include <vector>

namespace mezzet {

/// Takes pieces away; a group with all it holds.
[[nodiscard]] Edit removePieces(const Project&, const std::vector<int>& ids);

/// A piece like another one, free and unlocked where that one stands, under a name not yet in
/// `names`.
[[nodiscard]] Piece copyOf(const Piece&, const Placed&, const Scheme& names);

/// One more of it on the other side of a thing: what it is tied beside it by is mirrored, or else
/// its place and turn are, about the middle of that thing. Problem: it stands nowhere beside it.
[[nodiscard]] Result<Edit> copyAcross(const Project&, const Scene&, int id, int of,
                                      const std::string& name);

/// Copies pieces, a step aside. They are the last ones of the scheme afterwards, in the same order.
[[nodiscard]] Edit copyPieces(const Project&, const Scene&, const std::vector<int>& ids, Vec2 step);

/// The same, to where they are free.
[[nodiscard]] Edit copyPieces(const Project&, const Scene&, const std::vector<int>& ids);

/// A job of only these pieces, as they stand: what is put on the clipboard.
[[nodiscard]] Project onlyThese(const Project&, const Scene&, const std::vector<int>& ids);

/// Puts the pieces of another job into this one, free of what is there; ties among them stay. What
/// hangs goes on the wall looked at, else on the one of the same letter. Problem: there are none,
/// or the room has no such place.
[[nodiscard]] Result<Edit> pastePieces(const Project&, const Scene&, const Project& from,
                                       SurfaceId lookedAt);

/// Locks pieces where they stand, or unlocks them.
[[nodiscard]] Edit lockPieces(const Project&, const Scene&, const std::vector<int>& ids, bool on);

/// Each takes the other's place, turn and ties. Problem: they are one, or one of them can't be on
/// the other's surface.
[[nodiscard]] Result<Edit> swapPieces(const Project&, const Scene&, int one, int other);

/// A piece as one of another kind, at that kind's usual size, where it is and under the same ties.
/// One that had the name of its kind takes the new one's. Problem: such a kind can't be there.
[[nodiscard]] Result<Piece> asAnother(const Project&, Piece, const KindPtr&);

/// Puts what asAnother made in place of the piece of its id.
[[nodiscard]] Edit replacedBy(const Project&, Piece);

/// What a copy of a piece is called: the next number where it has one.
[[nodiscard]] std::string nameOfCopy(const Piece&, const Scheme&);
/// The two figures of sizes such a piece is stocked in: pictures and canvases, rugs and runners, as
/// the job's units have them, either way round; mm. Empty for what has none.
[[nodiscard]] std::vector<Vec2> stockedSizes(const Project&, const Piece&);

/// Gives a piece a width, and a depth (of what hangs a height), by one of its corners: `corner` is
/// -1 or 1 to its right and to its front (its top). The corner across stays, or its middle when
/// `fromMiddle`; its ties' numbers follow. What is round stays round.
[[nodiscard]] Edit sizeByCorner(const Project&, const Scene&, int id, Vec2 corner, Length width,
                                Length second, bool fromMiddle);

} // namespace mezzet
