#pragma once

#include "measure/notation.h"

#include <string>

namespace mezzet {

/// The page docs/line.md, in Markdown: every phrase and verb the line knows, from the tables that
/// read them. The window shows it with F1, its examples in the job's units.
[[nodiscard]] std::string linePage(Units = Units::feetAndInches);

} // namespace mezzet
