#pragma once

#include "speech/speech.h"

#include <optional>
#include <string_view>

namespace mezzet {

/// "show me wall B", "print it", "save": what is looked at, or an act of the window, by its name
/// there; nothing of the job is changed. Nothing for all other lines.
[[nodiscard]] std::optional<Answer> shownFor(std::string_view line, const Project&);

} // namespace mezzet
