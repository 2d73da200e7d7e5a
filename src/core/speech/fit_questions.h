#pragma once

#include "fits/fits.h"
#include "speech/questions.h"

#include <string>

namespace mezzet {

/// What fits, told in a sentence: the first choices, and the first reasons.
[[nodiscard]] Answer answerOf(FitAnswer);
/// Asks what fits, in the words that question is asked in elsewhere. Throws LineFault.
[[nodiscard]] Answer askedOfFits(const Asking&, const std::string& question);

/// "can the cot go under window 1?": what is there, tried at that place; "can a bed go on wall A?":
/// as one seen in a shop. None where no place is said.
[[nodiscard]] std::optional<Answer> couldItGo(Asking&);
/// "does the sofa fit?", "can the cot go under window 1?", "will a sofa 90 x 38 fit?"
[[nodiscard]] std::optional<Answer> doesItFit(Asking&);

/// "how many bookcases fit on wall B?", "how many stools fit at the counter?" None for another.
[[nodiscard]] std::optional<Answer> howManyFit(Asking&);

} // namespace mezzet
