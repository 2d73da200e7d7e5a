#pragma once

#include "edit/snap.h"
#include "judge/reading.h"

namespace mezzet {

/// The edit a drag comes to when it ends at a snap: the step, with the ties that hold there put on
/// the piece.
[[nodiscard]] Edit snappedEdit(const Project&, const Scene&, int piece, const SnapOffer&);

/// As snapFor, but never to where something guarded (see guard.h) is worse than where the hand
/// itself would put the piece. Judges twice; `stopped` is asked meanwhile, and when it says so
/// nothing is offered.
[[nodiscard]] std::optional<SnapOffer> safeSnapFor(const Project&, const Scene&, int piece,
                                                   Vec2 step, Length reach,
                                                   const Stopped& stopped = {});

} // namespace mezzet
