#pragma once

#include "project/project.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

/// Why a piece of its kind can't be on the surface it names; nothing when it can.
[[nodiscard]] std::optional<Problem> unsuitedSurface(const Piece&);

/// A piece's id, and those of all pieces of a list that stand on it or in it, and on what stands
/// there, in order.
[[nodiscard]] std::vector<int> withCarried(const std::vector<Piece>&, int carrier);

/// What stood on a piece or in it that goes is on the floor where it was, free; each is told of in
/// `notices`. `job` is the job with the piece still there.
void setDown(Scheme&, int carrier, const Project& job, std::vector<std::string>& notices);

/// Takes a piece that is gone out of zones, out of what is tied in the other arrangement, of what
/// aims at it and of what is accepted.
void forgetElsewhere(Scheme&, int id);

/// Why a unit can't have the openings it is told of; nothing when it can.
[[nodiscard]] std::optional<Problem> wrongOpenings(const Piece& unit, Notation);

/// Things stay in the row and column they are in when a unit's openings change from `old` to `now`;
/// Problem where one has no room there any more.
[[nodiscard]] std::optional<Problem> keepInOpenings(Scheme&, const Piece& old, const Piece& now);

/// How high a piece is with all that stands on it, mm.
[[nodiscard]] double heightWithLoad(const Scheme&, int piece);

} // namespace mezzet
