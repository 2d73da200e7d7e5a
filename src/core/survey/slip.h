#pragma once

#include "survey/tape_notes.h"

namespace mezzet {

/// How a length could have been misread or miswritten, so that it should have been `likely`: a foot
/// dropped, two figures swapped, inches read from the wrong side of the foot mark, centimetres for
/// inches, and the like (common practice). Empty when no such slip comes within `within` of it.
/// `bare` is what a number without a unit means in the notes.
[[nodiscard]] std::string slipWords(const Taped&, Length likely, Length within, Units bare);

/// The same for a corner in degrees.
[[nodiscard]] std::string angleSlipWords(double writtenDegrees, double likelyDegrees,
                                         double withinDegrees);

} // namespace mezzet
