#pragma once

#include "rules/rule_book.h"

namespace mezzet {

/// docs/rules.md, made from the book: each rule with what it measures, between which points, and
/// why.
[[nodiscard]] std::string rulesPage(const RuleBook&);

} // namespace mezzet
