#pragma once

#include "edit/words_reader.h"

namespace mezzet {

// What a line does, as edits: the line makes them of words, a remedy of numbers.

/// The middle of a rule's band in a job: the distance the trade goes by where none is said. Nothing
/// for a rule that is not there.
[[nodiscard]] Length usualBy(const Project&, std::string_view rule);

/// What is said where a locked piece is to move.
[[nodiscard]] Problem locked(const Piece&);

/// A piece that is there as it stands, its place written in it.
[[nodiscard]] Piece asItStands(const Project&, const Scene&, int id);

/// Puts a piece where it is said to be; with id 0 it is new, and what goes without saying for one
/// (see new_piece.h) is tied too. Problem: it is locked, or its ties can't be.
[[nodiscard]] Result<Edit> placePiece(const Project&, const Scene&, Piece, Placement);

/// The same; a new piece comes to stand where it is free, as far as its ties leave it a choice (see
/// landing.h).
[[nodiscard]] Result<Edit> placeWhereFree(const Project&, const Scene&, Piece, Placement);

/// What hangs from the ceiling so far above a piece is over it: of a new one, and of one that hangs
/// elsewhere; the tie is added.
void hangOverIt(const Piece&, Placement&, const Scene&);

/// The same of a piece that is there: one tie more, which wins over what fixes the same.
[[nodiscard]] Result<Edit> tiePiece(const Project&, const Scene&, int id, const Tie&);

/// Moves a piece by a step on its own surface, mm; its ties' numbers follow. Problem: it is locked.
[[nodiscard]] Result<Edit> stepPiece(const Project&, const Scene&, int id, Vec2 step);

/// Hangs a piece higher on its wall or under its ceiling, lower by less than nothing: what holds it
/// at its height follows. Problem: it is locked.
[[nodiscard]] Result<Edit> raisePiece(const Project&, const Scene&, int id, Length by);

/// Moves a piece straight away from something, or toward it by less than nothing. Problem: it is
/// locked, or there is no such way.
[[nodiscard]] Result<Edit> stepAway(const Project&, const Scene&, int id, const Target& from,
                                    Length by);

/// Near an end of the top a piece stands on: how near is assumed, and shown.
[[nodiscard]] Tie nearEnd(Side, const Project&);

/// The step in the room's plan that goes straight to something; unit. Nothing for what is in no
/// plan.
[[nodiscard]] std::optional<Vec2> wayInPlan(const Scene&, int id, const Target& to);

/// Gives a piece a size.
[[nodiscard]] Result<Edit> sizePiece(const Project&, const Scene&, int id, const Size&);

/// Says of a piece what no tie tells: how it is held, its heights, its back.
[[nodiscard]] Result<Edit> changePiece(const Project&, Piece);

} // namespace mezzet
