#pragma once

#include <string>

namespace mezzet {

/// The page docs/line.md, in Markdown: every phrase and verb the line knows, from the tables that
/// read them. The window shows it with F1.
[[nodiscard]] std::string linePage();

} // namespace mezzet
