#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// Where the wire of a light comes out of the ceiling whose cord is led aside to a hook over it:
/// what follows "swag pendant". `light`: its id; `at`: where its name began. Faults for what
/// doesn't hang, and for a place outside the ceiling.
[[nodiscard]] Edit readSwag(WordsReader&, int light, std::size_t at);

} // namespace mezzet
