#pragma once

#include "geometry/shape.h"
#include "survey/traverse.h"

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// A wall in its adjusted place. Its left end is where it begins, as you face it from inside.
struct Wall {
    std::string name;
    Vec2 start; ///< mm
    Vec2 end;   ///< mm
    Length taped;

    [[nodiscard]] Vec2 along() const { return unit(end - start); }
    [[nodiscard]] Vec2 inward() const { return quarter(along()); }
    [[nodiscard]] Length length() const { return distance(start, end); }
    [[nodiscard]] Vec2 at(Length fromLeft) const { return start + along() * fromLeft.mm(); }
    [[nodiscard]] Angle direction() const { return directionOf(end - start); }
};

/// A window, door or plain opening in its place.
struct Opening {
    OpeningKind kind = OpeningKind::window;
    int number = 0; ///< counted through the room by kind, from 1
    int wall = 0;   ///< index
    Length left;    ///< from the wall's left corner to its left jamb
    Length width;
    Length height;
    Length sill;
    bool hingeRight = false;
    bool swingsIn = true;
    std::optional<Length> undercut;

    /// "window 1"
    [[nodiscard]] std::string name() const;
};

struct Chimney {
    int number = 0;
    int wall = 0;
    Length left;
    Length width;
    Length depth;

    [[nodiscard]] std::string name() const;
};

struct Outlet {
    OutletKind kind = OutletKind::outlet;
    int wall = 0;
    Length left;
    Length up;
};

/// A measured room, in its adjusted place. Immutable once built.
struct Room {
    std::string name;
    Length ceiling;
    bool closed = false;
    std::optional<Angle> north;
    std::vector<Wall> walls;
    std::vector<Opening> openings;
    std::vector<Chimney> chimneys;
    std::vector<Outlet> outlets;
    std::vector<std::optional<TapedStuds>> studs; ///< a place a wall
    Closure closure;
    std::vector<DiagonalCheck> diagonals;

    /// Where the walls begin; the far end of the last wall too while the room is open. mm.
    [[nodiscard]] std::vector<Vec2> corners() const;
    /// mm²; 0 while the room is open. Chimney breasts are taken off.
    [[nodiscard]] double floorArea() const;
    [[nodiscard]] Length perimeter() const;
    [[nodiscard]] Box bounds() const;
    /// True when a point of the floor is inside the walls and not inside a chimney breast.
    [[nodiscard]] bool holds(Vec2 p) const;
    /// A point well inside, to put new pieces near.
    [[nodiscard]] Vec2 middle() const;
};

using RoomPtr = std::shared_ptr<const Room>;

/// Builds the room the notes tell of. Problem when the outline crosses itself.
[[nodiscard]] Result<RoomPtr> buildRoom(const TapeNotes&);

/// readTapeNotes and buildRoom in one.
[[nodiscard]] Result<RoomPtr> roomFromNotes(std::string_view notes, std::string_view file = {});

/// The footprint of a chimney breast.
[[nodiscard]] Shape solid(const Room&, const Chimney&);

/// The floor a door's leaf sweeps through; empty for doors that swing out, windows and openings.
[[nodiscard]] std::optional<Shape> doorSwing(const Room&, const Opening&);

/// The middle of an opening at the wall face.
[[nodiscard]] Vec2 middleOf(const Room&, const Opening&);

} // namespace mezzet
