#pragma once

#include "room/room.h"

namespace mezzet {

/// A door or opening that two rooms share.
struct Joint {
    std::size_t room = 0;             ///< index
    std::size_t opening = 0;          ///< in that room's openings
    std::size_t beyond = 0;           ///< the room it leads to
    std::optional<std::size_t> other; ///< the same opening as that room's notes have it
    Length off; ///< how far the two fall apart once all rooms are laid out; 0 for those laid by it
};

/// The rooms of a job laid out by the doors they share.
struct House {
    std::vector<std::optional<Pose>> places; ///< of each room's own origin; empty when not joined
    std::vector<Joint> joints;
    std::vector<std::string> notices; ///< names no room has, doors of two widths, loops that gape

    /// A point of one room in the coordinates of another; both must have places.
    [[nodiscard]] Vec2 into(std::size_t room, std::size_t from, Vec2 p) const {
        return places[room]->toLocal(places[from]->toRoom(p));
    }
};

/// Lays the rooms out from the first: where a door "leads to" another room, and that room has a
/// door leading back, the two are put face to face with the thickness of a drawn wall between. A
/// room whose notes lead back nowhere stays by itself.
[[nodiscard]] House joinRooms(const std::vector<RoomPtr>&,
                              Length wallThickness = Length::inches(6));

} // namespace mezzet
