#pragma once

#include "edit/words_reader.h"

namespace mezzet {

/// "a gallery of six 10 x 12 pictures on wall B": as many new ones, set out as a group that is
/// placed as said; none, and nothing read, when the line begins otherwise. Throws LineFault.
[[nodiscard]] std::optional<Edit> readGallery(WordsReader&, const Scene&, SurfaceId lookedAt);

} // namespace mezzet
