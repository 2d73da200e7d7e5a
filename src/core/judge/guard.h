#pragma once

#include "judge/reading.h"

namespace mezzet {

/// Whether a rule tells of what no remedy, fit, snap or chain may ever cost: two things in one
/// place, one through a wall or a ceiling, a door's leaf stopped, a way.
[[nodiscard]] bool isGuarded(const Rule&);
/// Whether it needs the ways through the room, which are the dearest to find.
[[nodiscard]] bool isOfWays(const Rule&);

/// The first guarded thing that is worse after than before: a clash, a piece outside, a door
/// stopped that was not there or is deeper now; a way narrower than it was and than it should be.
/// Said in a sentence; empty when there is none.
[[nodiscard]] std::string harmOf(const Judged& before, const Judged& after, const Wording& then);

/// Whether there is one.
[[nodiscard]] bool harms(const Judged& before, const Judged& after);

/// What has become of a reading in another scene of the same pieces: the same relation, found
/// again. A relation that is found no more is mended only where its rule asks nothing more then.
struct FoundAgain {
    std::optional<double> value; ///< empty when it is not found
    bool mended = false;         ///< in its band, or truly no longer asked
};
[[nodiscard]] FoundAgain foundAgain(const Reading&, const Judged& after,
                                    const std::vector<Reading>& before);

} // namespace mezzet
