#pragma once

#include "geometry/stretches.h"
#include "judge/reading.h"

#include <functional>
#include <string>
#include <vector>

namespace mezzet {

/// Something that would fit, ready to be tried.
struct FitChoice {
    std::string title;  ///< "Round, 54 across"
    std::string detail; ///< "seats 6; 38 to wall C at its nearest"
    Edit edit;          ///< puts it there
    int seats = 0;
    Size size;
    Pose pose;
    FootprintForm form = FootprintForm::rectangle;
};

/// Where a piece can stand, for one turn of it: its middle may lie anywhere in these outlines.
struct AllowedRegion {
    Angle turn;
    std::vector<std::vector<Vec2>> outlines; ///< outer rings, clockwise; mm
    std::vector<std::vector<Vec2>> holes;
};

/// An answer to "what fits here?" or "does this one fit?".
struct FitAnswer {
    std::string heading;              ///< "Yes", "No", "The largest table that keeps every rule"
    std::vector<std::string> reasons; ///< short sentences
    bool yes = false;                 ///< for a yes or no
    bool comesIn = true;              ///< of one that is to fit: by a door, where one is taped
    bool stands = false; ///< of one that is to fit: it comes in and stands, if not without harm
    std::vector<FitChoice> choices; ///< the best first
    std::vector<AllowedRegion> regions;
    /// How a piece is worked through a door, to be drawn; see ThroughDoor.
    std::vector<std::vector<Vec2>> carry{};
    double carryGap = 0;
    double carryHigh = 0;
    std::string carryWords{};
    bool stopped = false;
};

using GoesOn = std::function<bool()>; ///< asked now and then; false stops

/// The largest round, oval and rectangular table about a place that keep every rule: room to draw
/// chairs back on each side that seats someone, ways still wide enough, nothing upset; each with as
/// many as its edge seats. A dining table that is there, and its chairs, give way to the answer
/// when `replace` names it. When no rectangle of a useful size fits and a round one does, it says
/// so.
struct TableAsked {
    Vec2 near;                          ///< mm
    Length within = Length::inches(30); ///< how far from there its middle may lie
    int replace = 0;                    ///< a table's id; 0 for a new one
};
[[nodiscard]] FitAnswer tablesThatFit(const Project&, const TableAsked&, const GoesOn& = {});

/// The stretches of a wall that are free for what is so deep, mm along it from its left
/// end: nothing stands in them that near to the wall, no door swings there, and no way in is there.
/// Windows with a sill lower than `high` take theirs, when that is said. `but`: a piece that is
/// left out, as if it were not there.
[[nodiscard]] std::vector<Stretch> freeAlong(const Scene&, int wall, double depth,
                                             std::optional<Length> high = {}, int but = 0);

/// The longest sofa that stands against a wall and upsets nothing, by depth.
[[nodiscard]] FitAnswer sofasThatFit(const Project&, int wall, const GoesOn& = {});

/// How wide a piece of a kind can be that stands against a wall, as deep and as high as it comes:
/// the free stretches of the wall, the widest first, with one that stands in the middle of each.
/// What stands there now, what is built in, doors and their leaves, and windows lower than it is
/// high take their stretch.
[[nodiscard]] FitAnswer widthsThatFit(const Project&, const Kind&, int wall);

/// Which of the usual rug sizes hold a group of seats, and how: all legs on, or front legs on (at
/// least 6 in of each seat's depth over its full width).
[[nodiscard]] FitAnswer rugsThatHold(const Project&, const std::vector<int>& seats,
                                     const GoesOn& = {});
enum class RugHold { none, frontLegs, allLegs };
[[nodiscard]] RugHold rugHold(const Scene&, const std::vector<int>& seats, const Shape& rug,
                              Length frontDepth = Length::inches(6),
                              Length leg = Length::inches(2));

/// Where a piece of this kind and size can stand at all, square to the walls: inside them, clear of
/// pieces and door leaves, with the room it needs in use. Exact, by Minkowski sums.
[[nodiscard]] FitAnswer whereItStands(const Project&, const Piece&, const GoesOn& = {});

/// "Does this one fit?" A piece seen in a shop: where it would stand best, what that upsets, and
/// whether it comes in through the doors and round the turns beyond, tilted where that helps.
/// `legs` is how much of its height comes off to be carried.
[[nodiscard]] FitAnswer doesItFit(const Project&, const Piece&, const GoesOn& = {},
                                  Length legs = {});

/// "Does it fit there?" A piece placed by an edit: whether it stands clear of walls and other
/// things where that puts it, and what it upsets. `id` is the piece's after the edit.
[[nodiscard]] FitAnswer fitsThere(const Project&, const Edit&, int id);

/// True when a rectangle fits into another, turned as it may. Exact (Carver's condition, 1957).
[[nodiscard]] bool rectangleFits(double p, double q, double a, double b);

/// The longest rectangle of a width that gets round a square corner between corridors of two
/// widths: the least over the turn of (a cos t + b sin t - w) / (sin t cos t). 0 when it is too
/// wide for either.
[[nodiscard]] double longestRoundCorner(double width, double a, double b);

/// A part of a piece as it is carried: the box it takes, and its outline from the side.
struct CarryPart {
    std::string name; ///< empty for the whole piece
    Size size;
    /// From the side, x from its back to its front and y up; empty for a box. A seat's back stands
    /// over its seat and arms.
    std::vector<Vec2> side{};
    /// From above; empty for a box.
    std::vector<Vec2> above{};
};

/// What of a piece is carried in. Of a seat the outline from the side, its back taken as a quarter
/// of its depth; a bed comes apart into its mattress, its headboard and its rails. `legs` is how
/// much of its height comes off.
[[nodiscard]] std::vector<CarryPart> partsToCarry(const Piece&, Length legs = {});

/// Whether a piece comes through a door, and how: which way up, tilted or not, hooked round the
/// jamb, and round into the room or hall beyond when that is taped.
struct ThroughDoor {
    bool fits = false;
    std::string how; ///< "on its back", "tilted", "too high by 2 in", …
    /// The outline on its way, to be drawn: before a wall with a gap from 0 to `gap`.
    std::vector<std::vector<Vec2>> steps{};
    double gap = 0;  ///< mm; 0 where nothing is drawn
    double high = 0; ///< mm; of steps seen in the doorway itself, its height; else seen from above
};
[[nodiscard]] ThroughDoor throughDoor(const Project&, const Opening&, const CarryPart&);
[[nodiscard]] ThroughDoor throughDoor(const Project&, const Opening&, const Size&);
/// All of its parts: it fits when each does.
[[nodiscard]] ThroughDoor throughDoor(const Project&, const Opening&,
                                      const std::vector<CarryPart>&);

} // namespace mezzet
