#pragma once

#include "geometry/shape.h"

#include <array>
#include <cstdint>
#include <optional>
#include <vector>

namespace mezzet {

/// A convex thing in the way. What is not convex is several of them; they may overlap.
struct Block {
    Convex shape;
    int owner = 0; ///< whatever the asker knows it by
    /// The doorways it frames, at most two; below 0 for none. How wide a doorway itself is does not
    /// count: no gap between two blocks that frame the same one.
    std::array<int, 2> frames{-1, -1};
    bool builtIn = false; ///< of gaps as wide, those between what is built in come first

    [[nodiscard]] bool isFrameOf(int doorway) const {
        return doorway >= 0 && (frames[0] == doorway || frames[1] == doorway);
    }
};

/// Where a way begins or ends.
struct WayEnd {
    Vec2 at;          ///< mm
    int doorway = -1; ///< which one it is in; its frame may be close
    bool fits = true; ///< whoever is there needs room there; false where touching will do
};

/// The narrowest place on the widest way.
struct Pinch {
    Length width;
    std::size_t first = 0;  ///< the two blocks that make it narrow; the same one twice where the
    std::size_t second = 0; ///< beginning or the end itself is too close to one
    Vec2 onFirst;           ///< mm; their nearest points
    Vec2 onSecond;
};

/// What is opened for one asking: the blocks of some owners are out of the way, and others stand
/// there instead. A seat is reached by its open front: its back and arms stay.
struct Opened {
    std::vector<int> without; ///< owners
    std::vector<Block> with;
};

/// How wide a way there is between places among blocks.
///
/// A disc gets from one place to the other unless the blocks, grown by its radius, fence one of
/// them in. Grown convex blocks meet pairwise in convex pieces, so (nerve theorem) a fence is a
/// round of blocks each within a diameter of the next, that goes round one of the two places and
/// not the other: of the rays from the two places to the right it crosses one an odd number of
/// times and the other an even one. Taking pairs in order of their gaps, the first that closes such
/// a round is the narrowest place of the widest way, and its gap is exact. Gaps as wide are taken
/// in an order that their places give, and not the order in which the blocks came.
///
/// The pairs that close no round at all are a least spanning forest (Kruskal 1956), and every other
/// pair closes a round with them, of pairs no wider than itself. So the forest is joined for each
/// asking, and the rest is looked through once, for all beginnings together.
class WayFinder {
public:
    /// Gaps wider than `widest` are of no interest.
    WayFinder(std::vector<Block>, Length widest);

    /// Beginnings that many ways are asked from, made ready once; at most `mostStarts`.
    struct Starts {
        std::vector<WayEnd> at;
        std::vector<std::uint64_t> crossed; ///< by pair: whose rays it crosses, a bit each
    };
    static constexpr std::size_t mostStarts = 63;
    [[nodiscard]] Starts startsAt(std::vector<WayEnd>) const;

    /// The narrowest place on the widest way from each beginning; empty where that is `limit` or
    /// more.
    [[nodiscard]] std::vector<std::optional<Pinch>> narrowest(const Starts&, const WayEnd& to,
                                                              const Opened&, Length limit) const;

    /// The narrowest place on the widest way; empty when it is `widest` or more. A beginning or end
    /// closer to a block than half of it is itself the narrowest; inside one it is 0.
    [[nodiscard]] std::optional<Pinch> narrowest(const WayEnd& from, const WayEnd& to) const {
        return narrowest(from, to, {});
    }
    /// The same with something opened. Pinches at what was put in have indices past blocks().
    [[nodiscard]] std::optional<Pinch> narrowest(const WayEnd& from, const WayEnd& to,
                                                 const Opened&) const;

    [[nodiscard]] const std::vector<Block>& blocks() const { return blocks_; }

private:
    struct Pair {
        double gap; ///< mm
        std::size_t first;
        std::size_t second;
        Vec2 onFirst;
        Vec2 onSecond;
        bool builtIn; ///< both are

        bool operator<(const Pair&) const;
    };

    struct Round {
        Vec2 centre;
        double reach = 0;
    };
    static Round roundOf(const Convex&);
    /// The pair of two blocks, if their gap is of interest.
    [[nodiscard]] std::optional<Pair> pairOf(const Block&, const Block&, const Round&, const Round&,
                                             std::size_t, std::size_t) const;

    /// Whether going from block to block over a pair crosses the ray from a place an odd number of
    /// times.
    [[nodiscard]] static bool crossesRay(const Pair&, const Round& first, const Round& second,
                                         Vec2 place);
    void plantForest();

    std::vector<Block> blocks_;
    std::vector<Round> rounds_; ///< a point in each, and how far it reaches from there
    std::vector<Pair> pairs_;   ///< narrowest first
    /// Where each pair's way from block to block lies, so that most are passed over at once.
    struct Extent {
        double low = 0; ///< y, mm
        double high = 0;
        double right = 0; ///< x
    };
    std::vector<Extent> extents_;
    std::vector<char> inForest_;        ///< by pair
    std::vector<std::uint32_t> forest_; ///< those pairs, narrowest first
    /// The forest from its roots outward: each block after the one it hangs on.
    struct Hangs {
        std::uint32_t block = 0;
        std::uint32_t on = 0; ///< itself for a root
        std::uint32_t by = 0; ///< the pair
    };
    std::vector<Hangs> outward_;
    std::vector<std::vector<std::uint32_t>> ofOwner_; ///< blocks
    std::vector<std::uint32_t> short_; ///< blocks that reach no farther than furniture, by x
    std::vector<std::uint32_t> long_;  ///< the others
    double widest_;
};

} // namespace mezzet
