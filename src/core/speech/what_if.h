#pragma once

#include "speech/speech.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// "what if I make the table 120?", "what if the sofa was against wall C": the line that would do
/// it, likeliest first; none for a line that supposes nothing.
[[nodiscard]] std::vector<std::string> supposed(std::string_view line);

/// What would come of it, done to a copy: what it does, and what would be to mend then that isn't
/// now. Nothing is changed. Problem: what apply() would refuse.
[[nodiscard]] Result<Spoken> whatWouldCome(const Project&, Said);

} // namespace mezzet
