#pragma once

#include "judge/reading.h"

namespace mezzet {

/// Marks the readings that the scheme accepts. One that has become worse than it was when it was
/// accepted is to mend again, and two things in one place are never accepted.
void markAccepted(std::vector<Reading>&, const Scheme&);

/// Whether a reading can be left as it is: it is off, and no two things are in one place.
[[nodiscard]] bool canBeAccepted(const Reading&);

/// Why a reading is left as it is; empty when it is not.
[[nodiscard]] std::string_view whyAccepted(const Reading&, const Scheme&);

/// The edit that leaves these readings as they are.
[[nodiscard]] Edit accepting(const std::vector<const Reading*>&, std::string reason, const Scheme&,
                             const Wording&);
/// The edit that judges these again.
[[nodiscard]] Edit judgingAgain(const std::vector<const Reading*>&, const Scheme&, const Wording&);

} // namespace mezzet
