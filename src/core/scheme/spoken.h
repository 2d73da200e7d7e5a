#pragma once

#include "scheme/words.h"

#include <string>

namespace mezzet {

/// What a sentence calls a thing: a piece by its name, and what is of the room in the language that
/// is spoken ("Wand C"), where `words` gives the line's own ("wall C").
[[nodiscard]] std::string spoken(const Target&, const Wording&);
/// The same of an opening or another thing of the room, by the line's own words: "window 1".
[[nodiscard]] std::string spokenOfRoom(const std::string& name);
/// The same of a surface: "on the floor", "on wall C".
[[nodiscard]] std::string spoken(SurfaceId, const Wording&);

} // namespace mezzet
