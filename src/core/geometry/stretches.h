#pragma once

#include <utility>
#include <vector>

namespace mezzet {

/// A stretch of a line: from, to.
using Stretch = std::pair<double, double>;

/// What others leave of a line of such a length, from its beginning. They may overlap, touch, and
/// come in any order.
[[nodiscard]] std::vector<Stretch> leftBy(std::vector<Stretch> taken, double length);

/// The widest of several, the first of those alike; of no width where there are none.
[[nodiscard]] Stretch widestOf(const std::vector<Stretch>&);

} // namespace mezzet
