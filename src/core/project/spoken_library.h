#pragma once

#include "project/project.h"

namespace mezzet {

/// The library with its sentences (the book's, the cautions of kinds and of tasks, what is asked
/// and said of rugs) in the language that is spoken. Names stay as they are: they are words of the
/// line.
[[nodiscard]] Library inOwnLanguage(Library);

} // namespace mezzet
