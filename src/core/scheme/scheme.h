#pragma once

#include "kit/kind.h"
#include "measure/notation.h"
#include "room/room.h"

#include <memory>
#include <string>
#include <vector>

namespace mezzet {

/// What a tie refers to.
struct Target {
    enum class Is { none, piece, wall, corner, window, door, opening, chimney, room, fixture };
    Is is = Is::none;
    int piece = 0; ///< piece id
    int index = 0; ///< wall index; corner: index of the wall that begins there; else number
    bool alongNext =
        false; ///< corner: named with the wall that begins there first ("CB", not "BC")
    FixtureKind built = FixtureKind::chimney; ///< fixture: its kind; index is its number

    bool operator==(const Target&) const = default;
};

/// The target that means something built in.
[[nodiscard]] Target targetOf(const Fixture&);
/// What a chimney or fixture target means; null when it is not there, or for other targets.
[[nodiscard]] const Fixture* fixtureOf(const Room&, const Target&);

enum class Side { front, behind, left, right };
enum class MeasuredTo { edge, centre };

/// One thing said about where a piece is. See docs/line.md and docs/architecture.md.
struct Tie {
    enum class Kind {
        against,        ///< back to a wall: turn, and the coordinate across it
        inCorner,       ///< turn and both coordinates
        turned,         ///< turn, clockwise; 0 stands as against wall A
        squareTo,       ///< turn as if against a wall
        inLineWith,     ///< turn of another piece
        facing,         ///< turn toward something
        fromPiece,      ///< edge to edge, along the normal of a side of the other piece
        fromWall,       ///< edge (or centre) to the wall's face
        fromCorner,     ///< edge (or centre) from a corner, along a wall
        centredOn,      ///< the coordinate along the other's face
        centredBetween, ///< midway between two things
        under,          ///< centred, both ways, on the outline of several pieces
        at              ///< centre, both coordinates
    };
    Kind kind = Kind::at;
    Target of;
    Target also;            ///< centredBetween: the second thing
    std::vector<int> group; ///< under: piece ids
    Length distance;        ///< gap; centredOn: offset to the right as you face it; at: x
    Length second;          ///< at: y
    Angle turn;             ///< turned
    /// fromPiece: which side of the other piece. centredOn: the side it stands at, so that beside a
    /// piece it is centred along that piece's depth.
    Side side = Side::front;
    MeasuredTo to = MeasuredTo::edge;
    std::string extra{}; ///< fields of the job file this version doesn't know, as JSON

    bool operator==(const Tie&) const = default;
    [[nodiscard]] bool fixesTurn() const {
        return kind == Kind::against || kind == Kind::inCorner || kind == Kind::turned ||
               kind == Kind::squareTo || kind == Kind::inLineWith || kind == Kind::facing;
    }
    [[nodiscard]] bool fixesPlace() const {
        return kind == Kind::against || kind == Kind::inCorner || (!fixesTurn());
    }
    [[nodiscard]] bool refersTo(int pieceId) const;
};

/// Something placed.
struct Piece {
    int id = 0; ///< unique in its scheme, never used again
    std::string name;
    KindPtr kind;
    Size size;
    Heights heights;
    Footprint footprint;
    Pose pose; ///< where it last was; what no tie fixes is read from here
    std::vector<Tie> ties;
    bool locked = false;
    std::string extra; ///< fields of the job file this version doesn't know, as JSON

    [[nodiscard]] Shape shape() const { return footprintShape(footprint, size); }
    /// The surface things stand on: the table's top, or the highest point.
    [[nodiscard]] Length top() const { return heights.top.value_or(size.height); }
};

/// One way of furnishing the room.
struct Scheme {
    std::string name = "Scheme 1";
    std::string note;
    std::size_t room = 0;      ///< which of the job's rooms it furnishes
    std::vector<Piece> pieces; ///< in the order they were placed; rugs are drawn first all the same
    int nextId = 1;
    std::string extra;

    [[nodiscard]] const Piece* byId(int id) const;
    [[nodiscard]] Piece* byId(int id);
    /// By name, in any case and without its commas.
    [[nodiscard]] const Piece* byName(std::string_view) const;
    /// "Sofa", or "Sofa 2" when that is taken.
    [[nodiscard]] std::string freeName(std::string_view wanted) const;
};

using SchemePtr = std::shared_ptr<const Scheme>;

/// A new piece of a kind, at its usual size, with no name or place yet.
[[nodiscard]] Piece pieceOf(const KindPtr&);

} // namespace mezzet
