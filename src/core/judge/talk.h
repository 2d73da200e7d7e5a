#pragma once

#include "judge/reading.h"

namespace mezzet {

/// Two seats whose people talk: each looks toward the other.
struct Talk {
    std::size_t first = 0; ///< index in the scene
    std::size_t second = 0;
    Length apart; ///< between the nearest places people sit on the two front edges
    Vec2 onFirst;
    Vec2 onSecond;
};
[[nodiscard]] std::vector<Talk> talksIn(const FloorView&, const RuleBook&);

/// Seats joined by their talk, as indices in the scene; each of two or more.
[[nodiscard]] std::vector<std::vector<std::size_t>> groupsIn(const FloorView&,
                                                             const std::vector<Talk>&);

/// How many a scheme seats in an arrangement; perches count for guests. `each` and `arms` as in
/// seatsOf.
[[nodiscard]] int seatsIn(const Scheme&, Arrangement, Length each, Length arms);

} // namespace mezzet
