#pragma once

#include "edit/edit.h"

namespace mezzet {

/// Seats a table: so many chairs at its places, each tied to its place, so that they follow the
/// table and spread anew when it is sized. Chairs of that table that are there already are used
/// first; those too many go. `kind` is what new ones are. Problem: a table nobody sits in to, a
/// count under 1 or over 30.
[[nodiscard]] Result<Edit> seatTable(const Project&, const Scene&, int table, int count,
                                     const KindPtr& kind);

/// What ties a seat to what one sits in to: its place there, else that it is before it or looks at
/// it; null for none.
[[nodiscard]] const Tie* tieToTable(const Piece& seat, const Scheme&);
/// How far a seat goes under a table or a desk when nobody sits there: half its depth, so that its
/// back stays out (common practice). Nothing where the table is too low for the seat.
[[nodiscard]] Length tuckedUnder(const Piece& seat, const Kind& table);
/// The same of one that has its place at a table: no farther than up to the chairs beside it.
[[nodiscard]] Length tuckedAt(const Piece& seat, const Piece& table, const Tie& place);

/// How many chairs fit at a table with so much edge each. A round or oval one counts its whole
/// edge, a rectangular one each side by itself.
[[nodiscard]] int seatsBy(const Piece& table, Length each);
/// Makes a table as long as so many people need, in steps; a round one as wide. Left as it is when
/// it has room for them.
void enlargeFor(Piece& table, int people, const Project&);
/// The table edge the job gives each diner: the least the rule `diner-width` asks for.
[[nodiscard]] Length elbowRoom(const Project&);
inline constexpr int mostAtTable = 30;

/// The kind of chair to draw up to a table: that of a chair tied to it already, else the kit's
/// first for it. `table` 0 is a new one. Null when the kit has none.
[[nodiscard]] KindPtr usualChair(const Project&, int table);

/// What is brought in line with the first piece, in that piece's own directions.
enum class AlignBy { fronts, backs, lefts, rights, middlesAcross, middlesAlong };

/// Moves all but the first so that they line up with it. Ties' numbers follow, as in a drag.
[[nodiscard]] Edit alignPieces(const Project&, const Scene&, const std::vector<int>& ids, AlignBy);

/// Moves all but the outer two so that the gaps between neighbours are equal, along the line from
/// the first to the last. Problem: fewer than three.
[[nodiscard]] Result<Edit> spreadPieces(const Project&, const Scene&, std::vector<int> ids);

/// Mirrors pieces about the middle of the room, left to right or front to back. What was tied
/// stays tied where the mirrored tie holds: to the other wall, to the other side. Locked pieces
/// stay.
enum class MirrorBy { leftRight, frontBack };
[[nodiscard]] Result<Edit> mirrorPieces(const Project&, const Scene&, const std::vector<int>& ids,
                                        MirrorBy);

} // namespace mezzet
