#pragma once

#include "scheme/words.h"

namespace mezzet {

/// A piece in its true place.
struct Placed {
    int id = 0;
    Pose pose;
    Shape shape;             ///< in the room
    bool turnTied = false;   ///< a tie fixes its turn
    int coordinatesTied = 0; ///< how many of its two coordinates ties fix
    Vec2 freeAlong;          ///< with one tied: the unit direction it can still move in
};

/// All pieces of one scheme in true coordinates. Immutable.
struct Scene {
    RoomPtr room;
    SchemePtr scheme;
    std::vector<Placed> placed; ///< one for each floor piece of the scheme, in the same order
    std::vector<Placed> hung;   ///< one for each piece on a wall, in its wall's plane
    struct OverTied {
        int piece = 0;
        Problem problem;
    };
    std::vector<OverTied>
        overTied; ///< ties that say the same coordinate twice; the first one said holds

    [[nodiscard]] const Placed* byId(int id) const;
    [[nodiscard]] const Piece& piece(std::size_t i) const { return scheme->pieces[i]; }
    [[nodiscard]] const Piece& hungPiece(std::size_t i) const { return scheme->hung[i]; }
};

using ScenePtr = std::shared_ptr<const Scene>;

/// Puts every piece where its ties say, each after the pieces it refers to. Every positional tie is
/// n·p = c once the turn is known, so two of them give the place exactly. A piece that faces a
/// point while edge ties hold its place is settled by repeating the two steps until nothing moves.
/// Problem: a loop of ties, with its chain; or a tie to something that is not there.
[[nodiscard]] Result<ScenePtr> resolve(const RoomPtr&, const SchemePtr&, Notation);

/// The coordinate a positional tie fixes, as n·p = c for the centre p, given where all else is.
struct TieLine {
    Vec2 normal;
    double offset = 0; ///< mm
};

/// The lines of one tie for a piece of the given local shape and turn; none for a turn tie, two for
/// those that fix both coordinates. `scene` must have all that the tie refers to in place.
[[nodiscard]] std::vector<TieLine> tieLines(const Tie&, const Piece&, Angle turn,
                                            const Scene& scene);

/// The middle of the face a piece turns to its user, and the room-coordinate point targets are
/// centred on; mm.
[[nodiscard]] Vec2 frontMiddle(const Piece&, const Pose&);
[[nodiscard]] Vec2 middleOf(const Target&, const Scene&);

/// What a piece that stands on another stands on: the highest top under it. 0 for what stands on
/// the floor.
[[nodiscard]] Length baseOf(const Scene&, std::size_t piece);

/// Where a piece's front edge runs, from left to right as you face it. For an L it is the inner
/// edge between the arm and the other end.
[[nodiscard]] Segment frontEdge(const Piece&, const Pose&);

} // namespace mezzet
