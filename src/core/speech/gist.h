#pragma once

#include "speech/speech.h"

#include <optional>
#include <string_view>

namespace mezzet {

/// A question that is understood by no table, by its gist: the things it names, and the words in it
/// that tell what is asked of them. The answer begins with the question it was heard as. None where
/// it names nothing that can be asked of, or has no such word.
[[nodiscard]] std::optional<Spoken> byItsGist(std::string_view text, const Project&,
                                              const Listener&, const Stopped&);

} // namespace mezzet
