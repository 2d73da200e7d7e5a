#pragma once

#include "project/project.h"

#include <functional>

namespace mezzet {

/// The library with its sentences (the book's, the cautions of kinds and of tasks, what is asked and
/// said of rugs) in the language that is spoken. Names stay as they are: they are words of the line.
[[nodiscard]] Library inOwnLanguage(Library);

/// Every text of the library that is to be translated, its names too.
void eachText(const Library&, const std::function<void(const std::string&)>&);

} // namespace mezzet
