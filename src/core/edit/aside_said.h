#pragma once

#include "edit/words_reader.h"

#include <optional>
#include <string>

namespace mezzet {

/// "either side of", "at each end of": takes it. False where no such words stand.
bool takeSides(WordsReader&);

/// ", 12 from it", ", gap 12", ", 12 away": how far each of two is beside what is between them.
/// Takes a comma before it, and nothing else where no such thing is said. Throws LineFault.
[[nodiscard]] std::optional<Length> asideSaid(WordsReader&);

/// The clauses of what hangs beside something in a wall: so far from it, or in the middle of the
/// free wall up to the next thing on that side. Empty where nothing comes next.
[[nodiscard]] std::string besideOnWall(const Target&, int wall, Side, std::optional<Length> aside,
                                       const Scene&, const Project&);

} // namespace mezzet
