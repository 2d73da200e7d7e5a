#pragma once

#include "edit/words_reader.h"

#include <optional>
#include <utility>
#include <vector>

namespace mezzet {

/// Whether two of these stand in one place, or hang over one another, that did not before.
[[nodiscard]] bool standOnOneAnother(const std::vector<int>& ids, const Scene& before,
                                     const Scene& after);

/// Each as it is, free of its ties to the others, and what it is told.
struct MovedTogether {
    std::vector<std::pair<Piece, Placement>> all;
    std::optional<int> along; ///< the wall they may be anywhere along: nothing says where
};
/// Several that are there, moved together to where words say of the first: what stands in a row
/// about the middle of that, from left to right as it stands now; what hangs on one wall as it
/// hangs, from one to the other. Along a wall where nothing says where they go, `aside` to the
/// right of its middle, from -1 at its left end to 1 at its right. None where the words leave no
/// such place.
[[nodiscard]] MovedTogether movedTogether(const Project&, const Scene&, const std::vector<int>& ids,
                                          const Placement& said, double aside = 0);

} // namespace mezzet
