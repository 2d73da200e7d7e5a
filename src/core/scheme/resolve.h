#pragma once

#include "scheme/words.h"

#include <array>

namespace mezzet {

/// A piece in its true place.
struct Placed {
    int id = 0;
    Pose pose;
    Shape shape;             ///< on its surface
    bool turnTied = false;   ///< a tie fixes its turn
    int coordinatesTied = 0; ///< how many of its two coordinates ties fix
    Vec2 freeAlong;          ///< with one tied: the unit direction it can still move in
    Length off;              ///< under the ceiling: how far its top is below it
    bool offTied = false;    ///< under the ceiling: a tie fixes how high it hangs
};

/// Some of a scene's pieces, each with its place in the scheme's list.
struct ViewList {
    std::vector<std::size_t> pieces; ///< indices in Scheme::pieces
    std::vector<Placed> placed;
};

/// All pieces of one scheme in true coordinates. Immutable.
struct Scene {
    RoomPtr room;
    SchemePtr scheme;
    std::vector<Placed> all; ///< one for each piece, in the scheme's order, each on its own surface
    ViewList floor; ///< from above: what stands on the floor, and on the tops of what stands there
    ViewList walls; ///< what hangs, in its wall's plane
    ViewList ceiling; ///< what hangs from the ceiling, in the floor's x and y
    struct OverTied {
        int piece = 0;
        Problem problem;
    };
    std::vector<OverTied>
        overTied; ///< ties that say the same coordinate twice; the first one said holds
    struct Place {
        int id = 0;
        std::size_t index = 0; ///< in `all`
        int above = -1;        ///< in `floor`; -1 for what is not seen there
    };
    std::vector<Place> places; ///< by id

    /// A piece of the scheme; null when it is not there.
    [[nodiscard]] const Piece* pieceById(int id) const;
    /// Where a piece is on its own surface; null when it is not there.
    [[nodiscard]] const Placed* byId(int id) const;
    /// Where it is on the floor as seen from above; null for what hangs or is not there.
    [[nodiscard]] const Placed* fromAbove(int id) const;
    /// Where it is in the floor's x and y, on the floor or under the ceiling.
    [[nodiscard]] const Placed* inPlan(int id) const;
};

/// What is on one of a scene's surfaces, for what looks at that one only.
class SceneView {
public:
    operator const Scene&() const { return scene_; }

    const RoomPtr& room;
    const SchemePtr& scheme;

protected:
    SceneView(const Scene& s, const ViewList& list)
        : room(s.room), scheme(s.scheme), scene_(s), list_(list) {}
    [[nodiscard]] const Piece& listed(std::size_t i) const {
        return scheme->pieces[list_.pieces[i]];
    }

    const Scene& scene_;
    const ViewList& list_;
};

/// The floor as its rules see it: what stands on it, and what stands on a top there, from above.
class FloorView : public SceneView {
public:
    FloorView(const Scene& s) : SceneView(s, s.floor), placed(s.floor.placed) {}

    const std::vector<Placed>& placed;

    [[nodiscard]] const Piece& piece(std::size_t i) const { return listed(i); }
    [[nodiscard]] const Placed* byId(int id) const { return scene_.fromAbove(id); }
};

/// The ceiling: what hangs from it, and the floor under it.
class CeilingView : public SceneView {
public:
    CeilingView(const Scene& s) : SceneView(s, s.ceiling), placed(s.ceiling.placed), floor(s) {}

    const std::vector<Placed>& placed;
    const FloorView floor;

    [[nodiscard]] const Piece& piece(std::size_t i) const { return listed(i); }
};

/// The walls as their rules see them: what hangs, each in its wall's plane, and the floor before
/// them.
class WallsView : public SceneView {
public:
    WallsView(const Scene& s) : SceneView(s, s.walls), hung(s.walls.placed), floor(s) {}
    operator const FloorView&() const { return floor; }

    const std::vector<Placed>& hung;
    const FloorView floor;

    [[nodiscard]] const Piece& hungPiece(std::size_t i) const { return listed(i); }
    [[nodiscard]] const Placed* byId(int id) const { return scene_.byId(id); }
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

/// The lines of one tie: none for a turn tie, two for those that fix both coordinates.
class TieLines {
public:
    TieLines() = default;
    TieLines(TieLine one) : lines_{one}, count_(1) {}
    TieLines(TieLine one, TieLine two) : lines_{one, two}, count_(2) {}
    [[nodiscard]] const TieLine* begin() const { return lines_.data(); }
    [[nodiscard]] const TieLine* end() const { return lines_.data() + count_; }
    [[nodiscard]] std::size_t size() const { return count_; }
    [[nodiscard]] bool empty() const { return count_ == 0; }
    const TieLine& operator[](std::size_t i) const { return lines_[i]; }

private:
    std::array<TieLine, 2> lines_;
    std::size_t count_ = 0;
};

/// The lines of one tie for a piece of the given local shape and turn. `scene` must have all that
/// the tie refers to in place.
[[nodiscard]] TieLines tieLines(const Tie&, const Piece&, Angle turn, const Scene& scene);

/// The middle of the face a piece turns to its user, and the room-coordinate point targets are
/// centred on; mm.
[[nodiscard]] Vec2 frontMiddle(const Piece&, const Pose&);
[[nodiscard]] Vec2 middleOf(const Target&, const Scene&);
/// The stretch of its wall's foot before which a piece hangs, from left to right, mm; none for what
/// hangs on no wall.
[[nodiscard]] std::optional<Segment> hungStretch(const Target&, const Scene&);

/// What a piece that stands on another stands on: its carrier's top, or the highest top under it. 0
/// for what stands on the floor.
[[nodiscard]] Length baseOf(const FloorView&, std::size_t piece);

/// Where a piece's front edge runs, from left to right as you face it. For an L it is the inner
/// edge between the arm and the other end.
[[nodiscard]] Segment frontEdge(const Piece&, const Pose&);

} // namespace mezzet
