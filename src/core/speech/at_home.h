#pragma once

#include "project/project.h"
#include "speech/speech.h"

#include <optional>
#include <string_view>

namespace mezzet {

/// What was put without a word of where, said anew with where its kind usually goes, where that is
/// free; none where it was said, or nothing it goes with is there. `said`: as it was understood.
[[nodiscard]] std::optional<Result<Spoken>> whereItBelongs(std::string_view text,
                                                           const Result<Spoken>& said,
                                                           const Project&, const Listener&,
                                                           const Stopped&);

/// "is there room for nightstands?", "where would a coffee table go?": what would come of putting
/// them where their kind usually goes; none where nothing is there that they go with, or they land
/// in the way of something.
[[nodiscard]] std::optional<Spoken> askedAtHome(std::string_view text, const Project&,
                                                const Listener&, const Stopped&);

} // namespace mezzet
