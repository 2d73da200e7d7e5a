#pragma once

#include "edit/edit.h"

namespace mezzet {

/// What apply() looks at and puts right when the acts of an edit are done.

/// A seat, arms or a top that would be higher than the piece they are part of, unless they were so
/// before. `old` is null for a new piece.
[[nodiscard]] std::optional<Problem> tooHighInItself(const Piece&, const Piece* old, Notation);

/// A clash of ties that was not there before this edit: one that was is no reason to refuse what
/// is done to others.
[[nodiscard]] std::optional<Problem> freshlyOverTied(const Project& before, std::size_t scheme,
                                                     const Scene& after);

/// What a job file can't hold, so that a job never becomes one that won't open.
[[nodiscard]] std::optional<Problem> wouldNotOpen(const Scheme&, const Scene&);

/// A picture whose last frame shows another one now, or is gone, does not stay in the job.
void dropPicturesReplaced(const Project& before, Project& now);

/// The scheme with the resolved places kept in its pieces.
[[nodiscard]] SchemePtr settled(const SchemePtr&, const Scene&);

} // namespace mezzet
