#pragma once

#include "measure/notation.h"

#include <string>
#include <string_view>

namespace mezzet {

/// Examples of what one would say or write in a job of such units: in a metric one their lengths
/// are round centimetres, and what is counted stays.
[[nodiscard]] std::string exampleIn(std::string_view, Units);

/// What to do about something, in the language that is spoken, with the example in it ("say it
/// like: 16 from sofa") as exampleIn has it.
[[nodiscard]] std::string remedyIn(std::string_view remedy, Units);

} // namespace mezzet
