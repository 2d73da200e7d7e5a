#pragma once

#include "geometry/shape.h"
#include "survey/fit.h"

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
    std::optional<Length> rise{}; ///< of a curved wall over its chord; positive goes outward

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
    DoorStyle style = DoorStyle::hinged;
    WindowOpens opens = WindowOpens::unknown;
    std::optional<Length> reveal;
    std::string leadsTo; ///< the room beyond; empty when not said
    bool sillTaped = true;
    NotePlace place;

    /// "window 1"
    [[nodiscard]] std::string name() const;
    [[nodiscard]] Length head() const { return sill + height; }
};

/// Something built into the room, in its place.
struct Fixture {
    FixtureKind kind = FixtureKind::outlet;
    int number = 0; ///< by kind, from 1
    int wall = 0;   ///< index; columns: the wall they stand square to
    Length left;    ///< on its wall, to its left edge (outlets and the like: their middle)
    Length width;
    Length depth;
    Length up; ///< floor to its underside; outlets, switches, lights: to their middle
    Length height;
    bool toCeiling = false;
    Vec2 middle; ///< columns, mm
    bool round = false;
    Length hearthDepth;
    Length hearthWidth;
    Length fireWidth;
    Length fireHeight;
    int risers = 0;
    Length riser;
    Length going;
    bool upRight = true;
    NotePlace place;

    /// "chimney", "radiator 2"
    [[nodiscard]] std::string name() const;
    [[nodiscard]] bool isBreast() const {
        return kind == FixtureKind::chimney || kind == FixtureKind::fireplace;
    }
    /// A point on the wall: outlet, switch, light.
    [[nodiscard]] bool isPoint() const {
        return kind == FixtureKind::outlet || kind == FixtureKind::lightSwitch ||
               kind == FixtureKind::wallLight;
    }
    /// Whether furniture can't stand where it is.
    [[nodiscard]] bool takesFloor() const;
};

/// An alcove, a bay or a bow, in its place.
struct Recess {
    RecessKind kind = RecessKind::alcove;
    int wall = 0;
    Length left;
    Length width;
    Length depth;
    Length face;
    Length height; ///< 0: as high as the room
};

/// A diagonal as taped, against what the adjusted corners give.
struct DiagonalCheck {
    int from = 0; ///< wall index of the corner it starts from
    int to = 0;
    Length taped;
    Length computed;
    bool agrees = true; ///< not set aside, and within the notes' tolerance or 1/4 in
};

/// A measured room, in its adjusted place. Immutable once built.
struct Room {
    std::string name;
    Length ceiling; ///< its full height
    bool ceilingTaped = false;
    std::vector<Slope> slopes;
    std::optional<Tray> tray;
    std::vector<Beam> beams;
    std::optional<Joists> joists;
    Mouldings mouldings;
    std::vector<FloorStep> steps;
    bool closed = false;
    Units units = Units::feetAndInches; ///< of its notes
    std::optional<Angle> north;
    std::vector<Wall> walls;
    std::vector<Opening> openings;
    std::vector<Fixture> fixtures;
    std::vector<Recess> recesses;
    std::vector<std::optional<TapedStuds>> studs; ///< a place a wall
    std::vector<DiagonalCheck> diagonals;
    Closure closure;
    Fit fit;
    /// The edge of the floor with curves, bays and alcoves, clockwise; mm. An open room's corners.
    std::vector<Vec2> edge;
    std::vector<int> edgeWall; ///< which wall each stretch of the edge belongs to

    /// Where the walls begin; the far end of the last wall too while the room is open. mm.
    [[nodiscard]] std::vector<Vec2> corners() const;
    /// The straight stretches of the floor's edge, each as a wall of its own; an open room's last
    /// corner begins none.
    [[nodiscard]] std::size_t stretches() const {
        return closed ? edge.size() : edge.empty() ? 0 : edge.size() - 1;
    }
    [[nodiscard]] Wall stretchAt(std::size_t i) const {
        return {{}, edge[i], edge[(i + 1) % edge.size()], {}, {}};
    }
    /// mm²; 0 while the room is open. Chimney breasts and columns are taken off.
    [[nodiscard]] double floorArea() const;
    /// Along the floor's edge.
    [[nodiscard]] Length perimeter() const;
    [[nodiscard]] Box bounds() const;
    /// True when a point of the floor is inside the walls and not inside what is built in.
    [[nodiscard]] bool holds(Vec2 p) const;
    /// A point well inside, to put new pieces near.
    [[nodiscard]] Vec2 middle() const;
    /// The ceiling's height at a place, above the floor level of wall A; beams are in it.
    [[nodiscard]] Length ceilingAt(Vec2 p) const;
    /// The floor's level at a place, above that at wall A.
    [[nodiscard]] Length levelAt(Vec2 p) const;
    /// How high one can stand or build there.
    [[nodiscard]] Length headroom(Vec2 p) const { return ceilingAt(p) - levelAt(p); }
    /// The ceiling's line over a wall, as points along it and up, from left to right; mm. Beams are
    /// left out.
    [[nodiscard]] std::vector<Vec2> topOf(int wall) const;
    /// The tray's raised part; empty when there is none, or its border takes all.
    [[nodiscard]] std::vector<Vec2> trayEdge() const;
};

using RoomPtr = std::shared_ptr<const Room>;

/// Builds the room the notes tell of. Problem when the outline crosses itself, or a column's walls
/// can't place it.
[[nodiscard]] Result<RoomPtr> buildRoom(const TapeNotes&);

/// readTapeNotes and buildRoom in one: every room, in order; at least one.
[[nodiscard]] Result<std::vector<RoomPtr>> roomsFromNotes(std::string_view notes,
                                                          std::string_view file = {});
/// The first room of notes.
[[nodiscard]] Result<RoomPtr> roomFromNotes(std::string_view notes, std::string_view file = {});

/// The footprint of what is built in.
[[nodiscard]] Shape solid(const Room&, const Fixture&);

/// A line of the floor that runs along a wall, so far from it.
struct FloorLine {
    Vec2 normal;       ///< into the room
    double offset = 0; ///< mm; points with dot(normal, p) = offset lie on it
};
[[nodiscard]] FloorLine lineAlong(const Room&, int wall, Length away);
/// The stretches of such a line that lie on the floor, mm.
[[nodiscard]] std::vector<Segment> onFloor(const Room&, const FloorLine&);

/// The floor a door's leaves sweep through; empty for those that slide or swing out, windows and
/// openings.
[[nodiscard]] std::optional<Shape> doorSwing(const Room&, const Opening&);

/// The middle of an opening at the wall face.
[[nodiscard]] Vec2 middleOf(const Room&, const Opening&);
/// The openings in one stretch of the edge, from its left.
[[nodiscard]] std::vector<const Opening*> openingsAlong(const Room&, std::size_t stretch);

/// Points of an arc over a chord, from its start up to but not including its end; `out` is the unit
/// normal it bulges toward. Chords stay within 0.05 mm of the arc.
[[nodiscard]] std::vector<Vec2> arcPoints(Vec2 start, Vec2 end, double rise, Vec2 out);

} // namespace mezzet
