#pragma once

#include "judge/reading.h"

namespace mezzet {

/// A way to be drawn.
struct DrawnWay {
    std::vector<Vec2> line;      ///< mm
    std::optional<Length> width; ///< at its narrowest; empty when it is wider than is of interest
    std::array<Vec2, 2> pinch;   ///< there
    bool right = true;           ///< wide enough by the job's band
};

/// The ways between every two doors, or those that lead to one piece, with their narrowest places.
[[nodiscard]] std::vector<DrawnWay> waysToDraw(const FloorView&, const RuleBook&, const Judgement&,
                                               int to = 0);

/// The widest way from one place to another.
struct WayBetween {
    Target from;
    Target to;
    std::optional<Length>
        width;       ///< at its narrowest; empty where that is wider than is of interest
    Target narrowBy; ///< what makes it narrow, and the other side of that place
    Target beside;

    /// No way at all, to within what can be measured.
    [[nodiscard]] bool isShut() const;
};
/// From a doorway, or from what one uses, to another such place: of several doors and sides the one
/// with the widest way. Without `from` it is from the door that is best. Nothing for what one does
/// not go to, and in a room that is open or has no door where that is asked.
[[nodiscard]] std::optional<WayBetween>
wayBetween(const FloorView&, const RuleBook&, const std::optional<Target>& from, const Target& to);

} // namespace mezzet
