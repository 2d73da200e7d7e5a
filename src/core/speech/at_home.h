#pragma once

#include "project/project.h"
#include "speech/speech.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// Where new pieces of a kind usually go, by the one thing in the room that they go with, as the
/// end of a line: "right of Double bed", "at Desk"; likeliest first. Empty where there is no such
/// thing, or several. Common practice.
/// `count`: how many are put at once.
[[nodiscard]] std::vector<std::string> usualPlaces(const Kind&, int count, const Project&);

/// The one thing a kind goes with: the bed of a nightstand; null for none, or several.
[[nodiscard]] const Piece* goesWith(const Kind&, const Project&);

/// What was put without a word of where, said anew with where its kind usually goes, where that is
/// free; none where it was said, or nothing it goes with is there. `said`: as it was understood.
[[nodiscard]] std::optional<Result<Spoken>> whereItBelongs(std::string_view text,
                                                           const Result<Spoken>& said,
                                                           const Project&, const Listener&,
                                                           const Stopped&);

} // namespace mezzet
