#pragma once

#include "hang/hooks.h"
#include "hang/mirror.h"
#include "hang/sag.h"
#include "rules/rule_book.h"

#include <optional>

namespace mezzet {

/// A shelf on its wall as a beam on its brackets, with its own weight and what stands on it: the
/// load that is said, or what leans on it, or books (or, on a narrow ledge, light things) by the
/// running foot. Empty for what is no shelf, or of no material the book knows. `piece` is an index
/// in scene.hung.
[[nodiscard]] std::optional<ShelfBeam> shelfBeam(const WallsView&, std::size_t piece,
                                                 const RuleBook&);

/// The mean stature of who looks, or 5 ft 6 in when nothing is said.
[[nodiscard]] Length statureOf(const Judgement&);

/// Where the eyes of whoever sits on a piece are, in the room.
[[nodiscard]] Vec3 eyesOnSeat(const Room&, const Piece& seat, Vec2 at, const Judgement&);

/// Whether something is worth seeing twice: a window, a lamp, a picture, a plant, a fire.
[[nodiscard]] bool worthSeeing(const Target&, const WallsView&);

/// "Round mirror from sofa: window 1 23 %, floor lamp 6 %, wall D 40 %", as people would say it.
[[nodiscard]] std::string mirrorSaid(const MirrorView&, const Wording&);

} // namespace mezzet
