#pragma once

#include "judge/floor_ways.h"
#include "rugs/roll.h"
#include "rugs/rug_book.h"
#include "rules/rule_book.h"
#include "scheme/resolve.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// How a seat stands on a rug.
struct SeatOnRug {
    enum class How { none, some, front, all };
    int seat = 0; ///< a piece's id
    How how = How::none;
    int legs = 4;
    int legsOn = 0; ///< those that stand on it whole
    /// How deep its front stands on it over its full width; less than nothing where its front edge
    /// is off it: how far. mm.
    double depth = 0;
};
[[nodiscard]] std::string_view howWord(SeatOnRug::How);

/// Legs are squares as thick as `leg`, where the kind says or in the footprint's corners. `front`
/// is how much of a seat's depth, over its full width, has to be on the rug for its front to count
/// as on.
[[nodiscard]] SeatOnRug seatOnRug(const Piece& seat, const Pose&, const std::vector<Vec2>& rug,
                                  Length leg, Length front);

/// Every upholstered seat and every chair at a table, as it stands on one rug.
[[nodiscard]] std::vector<SeatOnRug> seatsOnRug(const FloorView&, const std::vector<Vec2>& rug,
                                                Length leg, Length front, Length atTable);

/// True where a convex outline, given by its corners, lies on another whole; touching edges do.
[[nodiscard]] bool liesOn(const std::vector<Vec2>& outline, std::vector<Vec2> convex);

/// How far one gets from a point inside an outline along a unit direction before one leaves it; mm.
[[nodiscard]] double reachWithin(const std::vector<Vec2>& outline, Vec2 from, Vec2 way);

/// Whether something stands on a rug, with any part of it.
[[nodiscard]] bool standsOn(const Shape&, const Piece& rug, const Placed& where);

/// A rug that lies on a larger one.
[[nodiscard]] bool isLayered(const FloorView&, std::size_t rug);

/// A rug of a scene as it is cut off a roll, and the way from the cut's own frame to the floor.
struct RugCutOff {
    int rug = 0; ///< its id
    RollCut cut;
    std::optional<StairRunner> runner; ///< of one that goes up stairs
    /// Of one that lies on the floor: where (0, 0) of its frame is, and which way its x (across the
    /// pile) and its y (along it) go. A stair's runner has none.
    Vec2 origin;
    Vec2 across;
    Vec2 along;

    [[nodiscard]] bool onFloor() const { return !runner; }
    [[nodiscard]] Vec2 toFloor(Vec2 p) const { return origin + across * p.x + along * p.y; }
};
/// Every rug that is cut off a roll: all but those bought as they are. The pile runs along the
/// longer side unless it is told otherwise. Seams keep out of doorways, and of where feet go
/// between doors. Problem: a runner on stairs that can't be measured.
[[nodiscard]] Result<std::vector<RugCutOff>> rugsToCut(const FloorView&, const RuleBook&);

/// How rugs are cut off a roll where nothing is said: with the book's allowance, in several lengths
/// where that can't be helped.
[[nodiscard]] RollAsk rollAsk(const RuleBook&, Notation);

/// Where rugs that no roll in stock is wide enough for have their seams, on the floor: on the roll
/// that makes the fewest, and of those the least waste. Quick where there is no such rug.
[[nodiscard]] std::vector<Segment> seamsOnFloor(const FloorView&, const RugBook&, const RuleBook&);

/// Rugs that come off one roll: of one material and one pattern, as indices of what is to be cut.
struct RollGroup {
    std::string material; ///< its id; empty where none is chosen
    std::vector<std::size_t> cuts;
    Length repeat;
    Length drop;
    /// What so much of a roll costs, where the material has a price.
    [[nodiscard]] double price(const RollPlan&, const RugBook&) const;
};
/// In the order in which the first of each stands in the scheme.
[[nodiscard]] std::vector<RollGroup> rollGroups(const Scheme&, const std::vector<RugCutOff>&);

/// The plans of one group, on rolls that are `said` and each have to do, in their order; or on
/// those that can take it, least waste first. Problem: as layOnRoll's.
[[nodiscard]] Result<std::vector<RollPlan>> plansOf(const RollGroup&, const std::vector<RugCutOff>&,
                                                    RollAsk, const std::vector<Length>& widths,
                                                    bool said);

/// The ways between each two doors as lines on the floor: straight where nothing is between. `half`
/// a way is kept clear where there is so much.
[[nodiscard]] std::vector<std::vector<Vec2>> mainLines(const FloorView&, const FloorWays&,
                                                       Length half);

/// What an edge is finished with, and what that comes to.
struct RugSidePrice {
    Vec2 from;
    Vec2 to;
    Length length;
    std::string finish; ///< its id; empty for none
    Length tape;        ///< how wide; nothing for what is no tape
    double price = 0;
};
/// One that is cut is bound when nothing is said, a stairs' runner along its length; one that is
/// not has the edges it comes with.
[[nodiscard]] std::vector<RugSidePrice> pricedSides(const Piece&, const Pose&, const RugBook&);
/// Mitres where two taped edges meet: how many.
[[nodiscard]] int mitres(const std::vector<RugSidePrice>&);

} // namespace mezzet
