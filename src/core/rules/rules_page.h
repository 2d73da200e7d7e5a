#pragma once

#include "measure/notation.h"
#include "rules/rule_book.h"

namespace mezzet {

/// The page of the rules, made from the book: each rule with what it measures, between which points,
/// and why, in the language that is spoken; lengths in inches, or for a metric notation in
/// centimetres. In English and inches it is docs/rules.md.
[[nodiscard]] std::string rulesPage(const RuleBook&, Units = Units::inches);

} // namespace mezzet
