#pragma once

#include "scheme/resolve.h"
#include "ways/widest.h"

#include <unordered_map>

namespace mezzet {

/// The free floor of a scene, ready to be asked for ways: walls open at doors and windows, what is
/// built in, pieces that one can't walk over, and door leaves standing open.
struct FloorWays {
    std::vector<Target> owners;   ///< of blocks, by their owner
    std::vector<Vec2> thresholds; ///< by opening of the room: a place behind a doorway, so that a
                                  ///< way begins anywhere across it; mm
    WayFinder finder;
    std::unordered_map<int, int> byPiece; ///< the owner of a piece's blocks, by its id

    [[nodiscard]] const Target& ownerOf(const Block& b) const {
        return owners[static_cast<std::size_t>(b.owner)];
    }
    /// The owner number of a piece; below 0 when it takes no floor.
    [[nodiscard]] int ownerOfPiece(int id) const;
};

struct FloorWaysAsked {
    Length widest;          ///< ways this wide or wider are of no interest
    bool chairsOut = false; ///< dining chairs drawn back, with people in them
    Length behind;          ///< how far behind the table's edge a chair's back stands then
    Length atTable;         ///< how near a chair's front is to its table's edge when drawn up
};
[[nodiscard]] FloorWays floorWays(const FloorView&, const FloorWaysAsked&);

/// A door or a plain opening.
[[nodiscard]] bool isWayIn(const Opening&);

/// What a way leads to.
struct Goal {
    int piece = 0; ///< 0 for a window or something built in
    Target what;
    int part = 0; ///< beds: 1 left, 2 right
    WayEnd end;
    Opened opened; ///< what gives way at the goal itself
};
/// Everything one wants to get to: each seat, bed side, front that opens, window and closet.
[[nodiscard]] std::vector<Goal> goalsOf(const FloorView&, const FloorWays&, Length reachOver);

} // namespace mezzet
