#pragma once

#include "edit/edit.h"

#include <string>

namespace mezzet {

// Where a new piece comes to stand: in the room, free of others, where its words allow it.

/// Which wall's face a shape on the floor goes through the most, at its worst corner; beyond it
/// when its middle is. Nothing in an open room.
struct Through {
    double by = 0; ///< mm
    int wall = -1;
    bool beyond = false;
};
[[nodiscard]] Through throughWall(const Room&, const Shape&);

/// True where a piece on the floor is inside the room and clear of what stands there; it may touch.
/// `doors`: clear of the floor before doors too.
[[nodiscard]] bool clearOf(const Scene&, const Piece&, const Pose&, bool doors = false);

/// True where an outline on the floor goes through no wall.
[[nodiscard]] bool insideRoom(const Scene&, const Shape&);
/// The same as clearOf, of a chair that may be drawn in under a table.
[[nodiscard]] bool clearAtTable(const Scene&, const Piece& chair, const Pose&);

/// The same of what hangs, on its own wall: in the wall, and over nothing that hangs or opens
/// there.
[[nodiscard]] bool clearOnWall(const Scene&, const Piece&, Vec2 at);

/// Pieces that come to reach through a wall or the like by a change, and didn't before: what was
/// moved, and what went along. New ones are not among them.
[[nodiscard]] std::vector<int> comeToHarm(const Project& before, const Applied& after);

/// How far along another piece's depth a thing beside it stands from its middle: at the head of a
/// bed, at the middle of anything else; further forward where it is deeper than there is room to
/// the wall behind. Forward is more.
[[nodiscard]] Length alongside(const Scene&, const Piece& other, const Piece& own);

/// An edit that adds a piece, with the place it is free at where it begins, if its ties leave it a
/// way there; as it was when they don't, or when it is clear already.
[[nodiscard]] Edit landed(const Project&, Edit);

/// The shortest step that takes pieces, none of them placed yet, all together to where they are
/// clear, on the floor or along their walls; none where there is no such place.
[[nodiscard]] std::optional<Vec2> freeStep(const Scene&, const std::vector<Piece>&);

/// What nobody would mean unless they said so: a piece through a wall, in the chimney, above the
/// ceiling: "Console would go through wall A". Looks at the pieces named; empty when all is well.
[[nodiscard]] std::string harmOf(const Project&, const Scene&, const std::vector<int>& ids);

/// What is built into the room where a piece stands: "the chimney"; empty for nothing.
[[nodiscard]] std::string builtInAt(const Scene&, int id);

/// The way in that a piece on the floor stands before, or in the sweep of whose leaf: "door 1";
/// empty for none, and for what one walks over.
[[nodiscard]] std::string doorwayAt(const Scene&, int id);

/// What a piece stands in, or hangs over: another piece's or an opening's name; empty for nothing.
[[nodiscard]] std::string overlapOf(const Scene&, int id);

} // namespace mezzet
