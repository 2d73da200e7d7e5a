#pragma once

#include "rules/rule_book.h"
#include "scheme/scheme.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

struct Scene;

/// The wall itself, or the one that an opening or something built in is in; none for all else.
[[nodiscard]] std::optional<int> wallIn(const Target&, const Room&);

/// The wall straight across from another, the longest of several; none where none is.
[[nodiscard]] std::optional<int> wallAcross(const Room&, int wall);
/// "against wall D, facing wall B": what its back at a wall makes it look at anyway fixes nothing
/// more, and is left out.
void dropWhatItFacesAnyway(std::vector<Tie>&, const Room&);

/// The wall something is in, or hangs on, or stands against; the wall itself; empty for others.
[[nodiscard]] std::optional<int> wallOf(const Target&, const Scene&);

/// The side of something in a wall, as seen from inside, with more free wall.
[[nodiscard]] Side freerSide(const Target&, int wall, const Scene&);

/// The ties of a piece with its back to the wall, that far to the left or right of something in it,
/// as seen from inside: against the wall, and from its corner on that side. Empty where it finds no
/// room there, or where nothing is in that wall.
[[nodiscard]] std::vector<Tie> besideInWall(const Target&, int wall, Side, Length gap, const Piece&,
                                            const Scene&);

/// The same on whichever side is free, farther off where what stands there leaves no room; the side
/// with more wall where neither is.
[[nodiscard]] std::vector<Tie> besideFreely(const Target&, int wall, Length gap, const Piece&,
                                            const Scene&);

/// The next opening, or what is built in, on that side of something in a wall, as seen from inside;
/// else the corner the wall ends at there. Empty for what is not in that wall.
[[nodiscard]] std::optional<Target> nextInWall(const Target&, int wall, Side, const Scene&);

/// The room's corners that one can stand in, as they are said: "corner AB".
[[nodiscard]] std::vector<std::string> cornersToStandIn(const Room&);

/// The wall a piece looks at square, and how far it is from the middle of its front.
struct WallFaced {
    int wall = 0;
    Length away;
};
[[nodiscard]] std::optional<WallFaced> wallFaced(const Scene&, int piece);

/// How far from what is in a wall such a piece stands before it when no distance is said: off a
/// hearth, and furniture as far from a fire as the rule of what is in use has it. Nothing for the
/// rest.
[[nodiscard]] Length keptOff(const Target&, const Kind&, const Room&, const RuleBook&);

} // namespace mezzet
