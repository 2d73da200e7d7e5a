#pragma once

#include "kit/kind.h"
#include "measure/notation.h"
#include "measure/those.h"
#include "room/room.h"
#include "rugs/stair_runner.h"
#include "scheme/surface.h"
#include "scheme/thing.h"

#include <map>
#include <memory>
#include <string>
#include <vector>

namespace mezzet {

/// What a tie refers to.
struct Target {
    enum class Is {
        none,
        piece,
        wall,
        corner,
        window,
        door,
        opening,
        chimney,
        room,
        fixture,
        ceiling,
        skirting, ///< the rails that run round the room
        chairRail,
        pictureRail
    };
    Is is = Is::none;
    int piece = 0; ///< piece id
    int index = 0; ///< wall index; corner: index of the wall that begins there; else number
    bool alongNext =
        false; ///< corner: named with the wall that begins there first ("CB", not "BC")
    FixtureKind built = FixtureKind::chimney; ///< fixture: its kind; index is its number

    bool operator==(const Target&) const = default;
};

/// The targets that mean a piece, a wall by its index, the room as a whole, an opening, something
/// built in.
[[nodiscard]] Target pieceTarget(int id);
[[nodiscard]] Target wallTarget(int index);
[[nodiscard]] Target roomTarget();
[[nodiscard]] Target targetOf(const Opening&);
[[nodiscard]] Target targetOf(const Fixture&);
/// Whether it is one of the rails that run round the room.
[[nodiscard]] constexpr bool isRail(Target::Is is) {
    return is == Target::Is::skirting || is == Target::Is::chairRail ||
           is == Target::Is::pictureRail;
}
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
        at,             ///< centre, both coordinates
        atPlace,        ///< one of the places at a table: turn and both coordinates
        // On a wall. Across it the ties above serve too: centredOn, centredBetween, fromCorner,
        // fromPiece at its left or right, and at.
        height,    ///< its foot, centre or top so far over the floor, or over a stair's nosing line
        eyeLevel,  ///< its centre at eye level: a height that follows the school and who looks
        above,     ///< its foot so far over something
        below,     ///< its top so far under something
        levelWith, ///< its foot, centre or top level with that of something, or along a rail
        inGroup,   ///< kept in its group: both coordinates, from the group's centre
        // On a top or in an opening, beside centredOn, fromPiece and at.
        fromEdge ///< edge (or centre) from a side of the board it stands on
    };
    static constexpr std::size_t kinds = static_cast<std::size_t>(Kind::fromEdge) + 1;
    Kind kind = Kind::at;
    Target of;
    Target also;            ///< centredBetween: the second thing
    std::vector<int> group; ///< under: piece ids
    Length distance;        ///< gap; centredOn: offset to the right as you face it; at: x
    Length second;          ///< at: y
    Angle turn;             ///< turned
    /// fromPiece: which side of the other piece; fromEdge: of the board. centredOn: the side it
    /// stands at, so that beside a piece it is centred along that piece's depth.
    Side side = Side::front;
    MeasuredTo to = MeasuredTo::edge;
    int place = 0;                 ///< atPlace: which one, from 1, clockwise from the front
    int places = 0;                ///< atPlace: of how many
    Level level = Level::centre;   ///< height, levelWith: which height of the piece itself
    Level levelOf = Level::centre; ///< levelWith: which height of the other thing
    std::string extra{};           ///< fields of the job file this version doesn't know, as JSON

    bool operator==(const Tie&) const = default;
    // What it fixes, as its entry in the table of ties has it (scheme/tie_kind.h).
    [[nodiscard]] bool fixesTurn() const;
    /// Any coordinate.
    [[nodiscard]] bool fixesPlace() const;
    /// Its place on the floor or the like, or along its wall.
    [[nodiscard]] bool fixesAcross() const;
    /// How high a piece on a wall is.
    [[nodiscard]] bool fixesHeight() const;
    /// How high a piece under the ceiling hangs.
    [[nodiscard]] bool fixesDrop() const;
    [[nodiscard]] bool refersTo(int pieceId) const;
};

/// Where a piece is, and what holds it there.
struct Stance {
    Pose pose;
    std::vector<Tie> ties;
    SurfaceId on;
    Length off; ///< under the ceiling

    bool operator==(const Stance&) const = default;
};

/// The ways several pieces on a wall are set out as one.
enum class GroupForm {
    row,
    column,
    grid,
    spiral,   ///< round the largest
    salon,    ///< inside an outline, its corners first, on purpose not square
    mirrored, ///< the same over and under a line
    stepped,  ///< up a stair
    asPlaced  ///< as they were hung one by one
};
inline constexpr int groupForms = 8;
[[nodiscard]] std::string_view groupFormName(GroupForm);

/// How a group was set out, so that it can be set out again.
struct GroupPlan {
    GroupForm form = GroupForm::asPlaced;
    Length gap = Length::inches(2);
    int answer = 0; ///< which of the solver's answers

    bool operator==(const GroupPlan&) const = default;
};

/// How an edge of a rug is finished.
struct RugEdge {
    int edge = 0;       ///< counted from 1, as the outline's edges are; 0 for all of them
    std::string finish; ///< its id in the rug book
    Length width{};     ///< of a tape; nothing for the usual

    bool operator==(const RugEdge&) const = default;
};

/// What the outline of a rug follows that is cut to its room.
struct RugFit {
    /// So far from one wall, or from something built in, instead of the border.
    struct Off {
        Target of;
        Length by;

        bool operator==(const Off&) const = default;
    };
    Length border; ///< of bare floor, from the walls and what is built in
    std::vector<Off> off;
    std::vector<Target> ends;  ///< openings and doors at whose near jamb it ends
    std::vector<Target> clear; ///< doors whose swing it stops short of

    bool operator==(const RugFit&) const = default;
};

/// What is told of a rug besides its size; its height is how thick it is itself, without a pad.
struct RugWork {
    /// Its corners about the middle of its size, clockwise or not, as they were said; mm. Empty for
    /// the outline its footprint has.
    std::vector<Vec2> outline;
    std::optional<RugFit> fit;
    std::vector<RugEdge> edges;     ///< a later one wins
    std::string material;           ///< its id in the rug book; empty when not chosen
    std::optional<Length> pad;      ///< its thickness; none said: the usual one; 0: none
    bool taped = false;             ///< its edges are held to the floor
    bool ready = false;             ///< bought as it is: not cut off a roll
    bool seams = false;             ///< it may be made of several lengths
    bool pileAcross = false;        ///< the pile runs along its shorter side
    Length repeat{};                ///< of its pattern, along the pile; nothing for a plain one
    Length drop{};                  ///< how far the pattern is shifted from one length to the next
    int stairs = 0;                 ///< it lies on stairs of that number
    bool capped = false;            ///< drawn in under the nosings
    std::vector<StairBreak> breaks; ///< of those stairs, the lowest first

    void offStairs() {
        stairs = 0;
        breaks.clear();
    }

    bool operator==(const RugWork&) const = default;
};

/// What is told of how a piece gives light, beside its kind.
struct LightTold {
    std::string shine; ///< a photometric file of the job, by its key; empty for its kind's own
    std::optional<double> lumens; ///< in place of the file's or the kind's
    std::optional<double> watts;
    /// What its aim is turned to, from straight down; nothing: down, or as its kind has it.
    std::optional<Target> aim{};
    /// Under the ceiling, where its wire comes out when its cord is led to a hook over it; mm.
    std::optional<Vec2> wire{};

    bool operator==(const LightTold&) const = default;
};

/// Something placed on a surface. On a wall its pose's x runs along the wall from its left corner
/// and its y up from the floor there, its turn is clockwise as you face it, and its outline is its
/// width and height. Under the ceiling x and y are as on the floor. On a top they are about its
/// middle, and in an opening from the left of its board and from its back.
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
    std::optional<Stance> otherwise{};    ///< where it is in the other arrangement, when elsewhere
    bool onlyHere = false;                ///< not in the room in the other arrangement
    SurfaceId on{};                       ///< the surface its place is told on
    Length off{};                         ///< under the ceiling: how far its top hangs below it
    Hanging hanging{};                    ///< on a wall: how it is held
    GroupPlan plan{};                     ///< of a group
    std::string picture{};                ///< in its frame: a key of Project::pictures
    bool darkFoot = false;                ///< that picture is dark at its foot
    std::optional<bool> finishedBack{};   ///< when it differs from its kind
    std::optional<double> cost{};         ///< in the client's money
    std::string reason{};                 ///< why this one, and why here
    std::shared_ptr<const RugWork> rug{}; ///< of a rug that more is told of; null for the others
    std::shared_ptr<const LightTold> light{}; ///< of a light that more is told of
    std::optional<double> reflects{};         ///< the share of light it gives back, when told
    std::shared_ptr<const ThingTold> thing{}; ///< what is told of a thing; of any piece its colour
    std::shared_ptr<const UnitTold> unit{};   ///< of a unit whose openings are told
    std::string extra; ///< fields of the job file this version doesn't know, as JSON

    /// How many openings a unit has: rows from the top, and side by side; none of what has none.
    [[nodiscard]] int rows() const;
    [[nodiscard]] int across() const;
    [[nodiscard]] int openings() const { return rows() * across(); }
    /// How thick the boards and uprights of a unit are.
    [[nodiscard]] Length board() const;
    /// A thing on a shelf or a table.
    [[nodiscard]] bool isThing() const { return kind->thing != nullptr; }
    [[nodiscard]] bool isBook() const { return isThing() && kind->thing->sort == ThingSort::book; }
    /// A thing that others can stand on: books, a box, a riser, a tray.
    [[nodiscard]] bool carriesThings() const;
    /// Whether its back may be looked at.
    [[nodiscard]] bool backFinished() const { return finishedBack.value_or(!kind->bareBack); }
    [[nodiscard]] bool onWall() const { return on.isWall(); }
    /// The index of the wall it is on; asked of what is on one.
    [[nodiscard]] int wall() const { return on.wall(); }
    [[nodiscard]] bool isGroup() const { return kind->role == Role::group; }
    [[nodiscard]] Shape shape() const { return footprintShape(footprint, outlineSize()); }
    /// The two figures of its outline as width and depth: on a wall width and height.
    [[nodiscard]] Size outlineSize() const {
        return onWall() ? Size{size.width, size.height, size.depth} : size;
    }
    [[nodiscard]] Stance stance() const { return {pose, ties, on, off}; }
    void stand(const Stance& s) {
        pose = s.pose;
        ties = s.ties;
        on = s.on;
        off = s.off;
    }
    /// The group it is kept in; 0 for none.
    [[nodiscard]] int group() const;
    /// The surface things stand on: the table's top, or the highest point.
    [[nodiscard]] Length top() const { return heights.top.value_or(size.height); }
};

/// Pieces that belong together: seating, supper, reading.
struct Zone {
    std::string name;
    std::vector<int> pieces; ///< ids

    bool operator==(const Zone&) const = default;
};

/// Lights that are switched together.
struct LightZone {
    std::string name;
    std::vector<int> lights;      ///< ids
    std::vector<Target> switches; ///< the doors and openings it is switched by
    bool dims = false;

    bool operator==(const LightZone&) const = default;
};

/// How far each zone is turned up for something: what is not named is off.
struct LightScene {
    struct Level {
        std::string zone;
        double part = 1; ///< 0 to 1

        bool operator==(const Level&) const = default;
    };
    std::string name;
    std::vector<Level> levels;

    bool operator==(const LightScene&) const = default;
};

/// What is told of a scheme's light, besides its lights.
struct LightPlan {
    std::optional<double> walls; ///< the share of light they give back, below 1
    std::optional<double> ceiling;
    std::optional<double> floor;
    double maintained = 1; ///< the share of its first light a lamp gives later on
    std::vector<LightZone> zones;
    std::vector<LightScene> scenes;

    bool operator==(const LightPlan&) const = default;
    [[nodiscard]] const LightZone* zone(std::string_view name) const;
    [[nodiscard]] const LightScene* scene(std::string_view name) const;
    /// The zone a light is switched with; null for none.
    [[nodiscard]] const LightZone* zoneOf(int light) const;
};

/// What is told of how a scheme's shelves and tables are dressed, and of its colours.
struct Dressing {
    std::vector<Rgb> families; ///< the colours that are wanted, the main one first; at most 4
    std::optional<Rgb> accent;
    std::optional<Rgb> walls;
    std::optional<Rgb> floor;
    std::optional<Rgb> ceiling;
    std::vector<int> noHoles;    ///< walls that may not be drilled, in order
    std::map<int, Rgb> ownWalls; ///< walls of another colour than the rest

    /// The colour that is told of a wall: its own, or that of all.
    [[nodiscard]] std::optional<Rgb> colourOf(int wall) const {
        const auto own = ownWalls.find(wall);
        return own != ownWalls.end() ? std::optional(own->second) : walls;
    }

    bool operator==(const Dressing&) const = default;
};

/// A scheme is furnished for every day, and, where pieces move for it, for guests.
enum class Arrangement { day, guests };

/// A reading that is left as it is, with the reason: the relation it is of, and how it stood then.
struct Accepted {
    std::string rule; ///< its id
    int piece = 0;
    Target other;
    int also = 0;
    int part = 0;
    bool inUse = false;
    Target goal; ///< of ways
    Target from;
    double value = 0; ///< mm, a share or a count; what gets worse than this is to mend again
    std::string reason;

    bool operator==(const Accepted&) const = default;
    /// True when it speaks of that piece.
    [[nodiscard]] bool isAbout(int id) const {
        const auto is = [&](const Target& t) { return t.is == Target::Is::piece && t.piece == id; };
        return piece == id || also == id || is(other) || is(goal) || is(from);
    }
};

/// One way of furnishing the room.
struct Scheme {
    std::string name = "Scheme 1";
    std::string note;
    std::size_t room = 0;      ///< which of the job's rooms it furnishes
    std::vector<Piece> pieces; ///< on every surface, in the order they were placed
    int nextId = 1;
    Arrangement arrangement = Arrangement::day; ///< the one the pieces stand in now
    std::vector<Piece> away{};                  ///< in the room only in the other arrangement
    std::vector<Zone> zones{};
    std::vector<Accepted> accepted{}; ///< readings that are left as they are
    LightPlan light{};
    Dressing dressing{};
    std::string extra;

    [[nodiscard]] const Zone* zone(std::string_view name) const;
    /// What is kept in a group, in order.
    [[nodiscard]] std::vector<const Piece*> members(int group) const;
    /// Those that hang neither on a wall nor from the ceiling; those on the walls; and those on one
    /// surface; in order.
    [[nodiscard]] auto standing() const {
        return Those(pieces, [](const Piece& p) { return !p.onWall() && !p.on.isCeiling(); });
    }
    [[nodiscard]] auto hung() const {
        return Those(pieces, [](const Piece& p) { return p.onWall(); });
    }
    [[nodiscard]] auto on(SurfaceId which) const {
        return Those(pieces, [which](const Piece& p) { return p.on == which; });
    }
    [[nodiscard]] const Piece* byId(int id) const;
    [[nodiscard]] Piece* byId(int id);
    /// By name, in any case and without its commas.
    [[nodiscard]] const Piece* byName(std::string_view) const;
    /// "Sofa", or "Sofa 2" when that is taken.
    [[nodiscard]] std::string freeName(std::string_view wanted) const;
};

using SchemePtr = std::shared_ptr<const Scheme>;

/// The scheme as it stands in an arrangement: pieces that move for it where they stand then, those
/// put away gone, those brought out there.
[[nodiscard]] Scheme arranged(const Scheme&, Arrangement);

/// Whether a chair or a stool can be drawn in under a table or a desk: its seat fits below the top;
/// and a basket or a bin under a console, all of it.
[[nodiscard]] bool fitsUnder(const Piece& chair, const Piece& table);

/// A place at a table, about the table's own middle: where the middle of the chair's front edge is
/// when it just touches the table's edge, and the unit direction the sitter looks.
struct TablePlace {
    Vec2 edge; ///< mm
    Vec2 looks;
};
/// Places for so many at a table, clockwise from the middle of its front. A rectangular table seats
/// its long sides first, while each there has 30 in of edge, then wherever there is most; a round
/// or oval one at equal stretches of its edge.
[[nodiscard]] std::vector<TablePlace> placesAt(const Piece& table, int count);

/// A new piece of a kind, at its usual size, with no name or place yet.
[[nodiscard]] Piece pieceOf(const KindPtr&);

} // namespace mezzet
