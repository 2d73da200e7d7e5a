#include "judge/ahead.h"

namespace mezzet {

SideAhead aheadOf(const FloorView& floor, const Piece& p, const Placed& where, Side side) {
    const bool along = side == Side::front || side == Side::behind;
    SideAhead out;
    out.lane.along = side == Side::front    ? where.pose.front()
                     : side == Side::behind ? -where.pose.front()
                     : side == Side::left   ? -where.pose.right()
                                            : where.pose.right();
    out.lane.from =
        where.pose.at + out.lane.along * ((along ? p.size.depth : p.size.width).mm() / 2);
    out.lane.halfWidth = (along ? p.size.width : p.size.depth) / 2;
    // From a hair within it, so that a wall it touches comes first, at nothing.
    constexpr double hair = 1; // mm
    Lane within = out.lane;
    within.from = within.from - within.along * hair;
    out.stop = firstAhead(floor, within, Length::metres(100), [&](std::size_t i) {
        const Piece& other = floor.piece(i);
        const bool itsSeat = p.kind->isSatInTo() && other.kind->isSeat() &&
                             std::any_of(other.ties.begin(), other.ties.end(), [&](const Tie& t) {
                                 return t.refersTo(p.id) && (t.kind == Tie::Kind::atPlace ||
                                                             t.kind == Tie::Kind::facing);
                             });
        return other.id != p.id && !itsSeat;
    });
    if (out.stop)
        out.stop->ahead = std::max(out.stop->ahead - hair, 0.0);
    return out;
}

} // namespace mezzet
