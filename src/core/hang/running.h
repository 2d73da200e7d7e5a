#pragma once

#include "measure/notation.h"

#include <vector>

namespace mezzet {

/// Places along a line, in order, to be called out on a sheet.
struct Running {
    std::vector<Length> at;   ///< each place from the start, rounded to the division
    std::vector<Length> step; ///< from the place before (the first from the start), as called out
};

/// Rounds places so that what is called out adds up: each place is rounded from the start, and a
/// step is the difference of two rounded places, so the steps' sum is the last place, and no place
/// is out by more than half a division.
[[nodiscard]] Running running(const std::vector<Length>& places, Length division);

/// To the nearest division; as it is when the division is nothing.
[[nodiscard]] Length roundedTo(Length, Length division);

} // namespace mezzet
