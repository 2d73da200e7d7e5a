#pragma once

#include "edit/edit.h"

namespace mezzet {

/// What an edit does, in one sentence, told from the job before and after it. `was` is the scene
/// before.
[[nodiscard]] std::string previewOf(const Project& before, const Scene& was, const Edit&,
                                    const Applied& after);

} // namespace mezzet
