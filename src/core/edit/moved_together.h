#pragma once

#include "edit/words_reader.h"

#include <optional>
#include <utility>
#include <vector>

namespace mezzet {

/// Whether two of these stand in one place, or hang over one another, that did not before.
[[nodiscard]] bool standOnOneAnother(const std::vector<int>& ids, const Scene& before,
                                     const Scene& after);

/// Several that are there, moved together to where words say of the first: what stands in a row
/// about the middle of that, from left to right as it stands now; what hangs on one wall as it
/// hangs, from one to the other. Each as it is, free of its ties to the others, and what it is
/// told. Empty where the words leave no such place. Along a wall where nothing says where they go,
/// so far to the right of its middle; `alongWall` tells whether it is so.
[[nodiscard]] std::vector<std::pair<Piece, Placement>>
movedTogether(const Project&, const Scene&, const std::vector<int>& ids, const Placement& said,
              Length aside = {}, bool* alongWall = nullptr);

} // namespace mezzet
