#pragma once

#include "edit/edit.h"

namespace mezzet {

/// Puts a thing that is there on a board, its left edge so far from the board's left, mm: kept on
/// the board, and as far back as it was, or leaning at its back. What stands on it goes along.
/// Problem: it is locked, or has no room there.
[[nodiscard]] Result<Edit> putThing(const Project&, const Scene&, int thing, SurfaceId on,
                                    double left);

} // namespace mezzet
