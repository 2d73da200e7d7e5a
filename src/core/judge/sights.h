#pragma once

#include "judge/reading.h"
#include "sight/view.h"

namespace mezzet {

/// One thing in a view, with its share of what is seen.
struct ViewItem {
    Target what; ///< a piece, a wall, an opening, something built in
    double share = 0;
    bool backSeen = false; ///< a piece seen from behind
};
/// What is seen from a place.
struct RoomView {
    Vec2 from;
    Angle toward;                ///< the middle of the sweep
    std::vector<ViewPart> parts; ///< in turn; owners index `owners`
    std::vector<Target> owners;
    std::vector<Seen> seen;      ///< what was looked at
    std::vector<ViewItem> items; ///< by share, largest first
    std::optional<Target> first; ///< what one sees straight ahead
    Vec2 firstAt;
    double backs = 0; ///< the share that is backs of pieces
};

/// On opening a door: a quarter turn either way from straight in, less a hair.
[[nodiscard]] RoomView viewFromDoor(const FloorView&, const Opening&);
/// From a seat, a third of a turn about straight ahead (common practice: what one sees without
/// turning the head). What is no higher than `over` is looked over.
[[nodiscard]] RoomView viewFromSeat(const FloorView&, int piece, Length over = {});
/// From outside through a window: three metres out, over its sill.
[[nodiscard]] RoomView viewFromOutside(const FloorView&, const Opening&);

/// How one sees a screen from a seat.
struct ScreenSight {
    int seat = 0;
    int screen = 0;
    Vec2 face;        ///< the middle of the screen's face, on the floor's x and y
    Vec2 front;       ///< the unit direction it shows to
    Length distance;  ///< eye to the screen's middle
    Angle across;     ///< what the screen takes of the view from there
    Angle off;        ///< off the screen's straight ahead
    int hiddenBy = 0; ///< the piece that hides it; 0 for none
};
/// Every seat that looks toward a screen, against every screen, standing or hung.
[[nodiscard]] std::vector<ScreenSight> screenSights(const FloorView&);

} // namespace mezzet
