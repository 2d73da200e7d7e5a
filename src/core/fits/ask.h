#pragma once

#include "fits/fits.h"

namespace mezzet {

/// Reads a question about what fits, and answers it: "table", "table at 14', 8'", "table instead of
/// supper table", "sofa on wall A", "rug for sofa and wing chair", "rug for seats", "where
/// sideboard 60 x 18", "does sofa 90 x 38 x 36 fit", "picture over sofa", "set like harbour from A,
/// B and C", "mirror on wall B showing floor lamp from sofa", and "ledge behind sofa". Problem:
/// with the column of the word it can't take.
[[nodiscard]] Result<FitAnswer> askWhatFits(std::string_view question, const Project&,
                                            int selected = 0, const GoesOn& = {});

} // namespace mezzet
