#pragma once

#include "edit/edit.h"

namespace mezzet {

/// What a drag does to ties.
enum class DragTies {
    revalue, ///< rewrites the numbers of the ties it moves along
    keep,    ///< keeps every tie as it is and moves only what is free
    drop     ///< lets go of all ties that fix a place
};

/// One tie a drag changes, in words.
struct TieChange {
    std::string piece;
    std::string before; ///< as it was said
    std::string after;  ///< as it would be said; empty when it is let go
};

struct Drag {
    Edit edit;
    std::vector<TieChange> changes;
};

/// Moves pieces by a step on the floor. Ties among the moved pieces go along unchanged; the others'
/// numbers follow the step, a `centred on` takes an offset, and a tie pulled past sense (a piece
/// two feet off the wall it was against, a gap closed, a centre beyond the thing it was centred on)
/// is let go. Locked pieces stay. `scene` is the one the step is seen on.
[[nodiscard]] Drag drag(const Project&, const Scene&, const std::vector<int>& ids, Vec2 step,
                        DragTies);

/// Turns pieces clockwise by an angle, each about its own centre. Ties that fixed the turn give
/// way, and a piece that was against a wall keeps its distance from it.
[[nodiscard]] Result<Edit> turnBy(const Project&, const Scene&, const std::vector<int>& ids, Angle);

} // namespace mezzet
