#pragma once

#include "scheme/resolve.h"

#include <optional>
#include <span>

namespace mezzet {

/// A set of the things a tie can refer to. `none` in it: it may refer to nothing.
class Targets {
public:
    constexpr Targets(std::initializer_list<Target::Is> all) {
        for (const Target::Is is : all)
            bits_ |= bit(is);
    }
    [[nodiscard]] constexpr bool has(Target::Is is) const { return (bits_ & bit(is)) != 0; }
    /// Whether it holds anything but `none`.
    [[nodiscard]] constexpr bool any() const { return (bits_ & ~bit(Target::Is::none)) != 0; }
    friend constexpr Targets operator|(Targets a, Targets b) {
        a.bits_ |= b.bits_;
        return a;
    }

private:
    static constexpr unsigned bit(Target::Is is) { return 1U << static_cast<unsigned>(is); }
    unsigned bits_ = 0;
};

/// What a tie fixes of a piece's place. On the floor and on the like `across` is its place there;
/// on a wall it is the place along it, and `up` the height.
enum class Fixes : unsigned { turn = 1, across = 2, up = 4 };
/// The fields of a tie that a job file tells, beside what it refers to.
enum class TieField : unsigned {
    distance = 1,
    point = 2, ///< `distance` and `second`, as "at"
    turn = 4,
    side = 8,
    sideIfNotFront = 16,
    measuredTo = 32,
    place = 64,
    level = 128,
    levelOf = 256,
    pieces = 512, ///< `group`, and `distance` where there is one
    also = 1024
};
/// Several of them.
template <class E> struct Flags {
    unsigned bits = 0;
    constexpr Flags() = default;
    constexpr Flags(E e) : bits(static_cast<unsigned>(e)) {}
    constexpr Flags(std::initializer_list<E> all) {
        for (const E e : all)
            bits |= static_cast<unsigned>(e);
    }
    [[nodiscard]] constexpr bool has(E e) const { return (bits & static_cast<unsigned>(e)) != 0; }
};

/// What the lines and the turn of a tie are reckoned from. All it refers to is in place.
struct TieAsk {
    const Tie& tie;
    const Piece& piece;
    Angle turn; ///< of the piece
    const Scene& scene;
    double along = 0; ///< on a wall: where the piece is along it, mm

    /// Another piece in the coordinates of the surface the piece is on.
    [[nodiscard]] const Placed& there(int id) const;
    /// How far the piece reaches from its centre along a unit direction, mm.
    [[nodiscard]] double reach(Vec2 way) const;
    /// Where its centre is, `distance` off a face that lies at `face` along n; mm.
    [[nodiscard]] double offFace(Vec2 n, double face) const;
};

/// What the words of a tie are made with.
struct TieSay {
    const Tie& tie;
    const Wording& wording;

    [[nodiscard]] std::string of() const { return words(tie.of, wording); }
    [[nodiscard]] std::string gap(Length) const;
    /// "centre " where it is measured to the middle.
    [[nodiscard]] const char* centre() const {
        return tie.to == MeasuredTo::centre ? "centre " : "";
    }
};

/// A tie while its piece is dragged. `step` may be shortened where something stops it.
struct TieStep {
    Tie tie;
    const Piece& piece;
    const Placed& where;
    const Scene& scene;
    Vec2& step; ///< mm, on the piece's surface
    TieLines lines;

    [[nodiscard]] double along(std::size_t line) const { return dot(lines[line].normal, step); }
};

/// How a tie is said on one kind of surface.
struct TieOn {
    Targets of;
    /// The coordinates it fixes; null for none.
    TieLines (*lines)(const TieAsk&) = nullptr;
    /// Why what it refers to can't be; null for the usual words.
    const char* otherwise = nullptr;
    /// Why it can't be said of this piece all the same; empty when it can.
    std::string (*unfit)(const Tie&, const Piece&, const Room&, const Scheme&) = nullptr;
    /// Under the ceiling: how far below it the piece's top is. It fixes that, and no coordinate.
    Length (*drop)(const Tie&, const Piece&, Vec2 at, const Scene&) = nullptr;
};

/// All that is known of one kind of tie. A new one is an entry in one of the files ties_*.cpp, its
/// name in Tie::Kind, and its clause in the table of phrases.
struct TieKind {
    Tie::Kind kind;
    const char* word; ///< in a job file
    Flags<Fixes> fixes;
    Flags<TieField> fields;
    std::optional<TieOn> floor{};
    std::optional<TieOn> ceiling{};
    std::optional<TieOn> wall{};
    std::optional<TieOn> board{}; ///< a top, or an opening
    std::string (*words)(const TieSay&) = nullptr;
    /// The turn it fixes, as seen from a place; of those that fix one.
    Angle (*turn)(const TieAsk&, Vec2 at) = nullptr;
    /// Whether that turn changes with the place.
    bool (*turnsWithPlace)(const TieAsk&) = nullptr;
    /// The tie after a drag, or nothing when it is pulled past what makes sense. Null for one that
    /// only holds along its lines.
    std::optional<Tie> (*stepped)(TieStep) = nullptr;
    /// Pulled off what it is tied to, a piece keeps the turn the tie gave it.
    bool keepsTurn = false;
    /// What may be said in its place when the room is mirrored, likeliest first; the piece is
    /// mirrored already. Null for the tie as it is.
    std::vector<Tie> (*mirrored)(const Tie&, const Piece&) = nullptr;

    [[nodiscard]] const std::optional<TieOn>& on(SurfaceId) const;
    /// What it may refer to on any surface.
    [[nodiscard]] Targets targets() const;
};

[[nodiscard]] const TieKind& tieKind(Tie::Kind);
/// All of them, in the order of Tie::Kind.
[[nodiscard]] std::span<const TieKind* const> tieKinds();
/// By its word in a job file; null for none.
[[nodiscard]] const TieKind* tieByWord(std::string_view);

/// The lines of a tie, all that it is reckoned from told.
[[nodiscard]] TieLines tieLines(const TieAsk&);
/// How far below the ceiling the top of a piece is that a tie hangs at a height; `at` is its place.
[[nodiscard]] Length dropOf(const Tie&, const Piece&, Vec2 at, const Scene&);
/// Why a tie can't be said of a piece where it is; empty when it can.
[[nodiscard]] std::string unsuited(const Tie&, const Piece&, const Room&, const Scheme&);

namespace ties {

using Is = Target::Is;
inline constexpr Targets nothing{Is::none};
/// What shows a flat face to the room.
inline constexpr Targets faces{Is::wall,    Is::window,  Is::door,
                               Is::opening, Is::chimney, Is::fixture};
inline constexpr Targets pieces{Is::piece};
inline constexpr Targets things = faces | pieces;
/// What has a place on a plan.
inline constexpr Targets placed = things | Targets{Is::corner, Is::room};
inline constexpr Targets anything =
    placed | Targets{Is::ceiling, Is::skirting, Is::chairRail, Is::pictureRail};

/// The turn of a face, or of another piece.
[[nodiscard]] Angle turnAlong(const TieAsk&, Vec2 at);

extern const TieKind against, inCorner, turned, squareTo, inLineWith, facing, fromPiece, fromWall,
    fromCorner, centredOn, centredBetween, under, at, atPlace, height, eyeLevel, above, below,
    levelWith, inGroup, fromEdge;

} // namespace ties

} // namespace mezzet
