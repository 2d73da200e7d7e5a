#pragma once

#include "edit/edit.h"

namespace mezzet {

/// What an edit does, in one sentence, told from the job before and after it. `was` is the scene
/// before.
[[nodiscard]] std::string previewOf(const Project& before, const Scene& was, const Edit&,
                                    const Applied& after);

/// The caution that goes with putting such a piece; empty for none.
[[nodiscard]] std::string cautionAt(const Piece&);
/// What a preview tells with an edit: its notices, and the cautions of what it puts.
[[nodiscard]] std::vector<std::string> toldOf(const Edit&);

} // namespace mezzet
