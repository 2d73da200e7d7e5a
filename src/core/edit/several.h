#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Several new pieces at once: "6 chairs around supper table", "two lamps either side of sofa", "a
/// pair of armchairs facing sofa", "three pictures on wall C, 2 apart". The first is placed as
/// said, each other beside the one before it. Empty, and nothing read, where no number is said.
[[nodiscard]] std::optional<Edit> readSeveral(WordsReader&, const Scene&, SurfaceId lookedAt);

/// As many lights in a row as one was said to hang: over a table along its longer side, each over
/// its share, or so far apart as said; along a wall from corner to corner. None where nothing says
/// which way a row goes.
[[nodiscard]] std::vector<Placement> rowUnderCeiling(Placement model, int count, const Project&,
                                                     const Scene&);

} // namespace mezzet
