#pragma once

#include "edit/edit.h"

#include <vector>

namespace mezzet {

/// The edit, with pieces that would only go along by their ties left where they are: what ties them
/// to anything that goes is dropped, and told in its notices. `after` is what the edit makes of the
/// job.
[[nodiscard]] Edit leftBehind(const Project& before, Edit, const Applied& after,
                              const std::vector<int>& ids);

} // namespace mezzet
