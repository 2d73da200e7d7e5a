#pragma once

#include <string>
#include <string_view>

namespace mezzet {

/// A word of notes written out: "wdw" is window. One that is no abbreviation is as it was.
[[nodiscard]] std::string writtenOut(const std::string& word);

/// What the first figure with a unit in some notes is written in.
enum class FirstUnit { nothing, metric, feetOrInches };

/// "2,55 m" is metric, "14' 2" is not; "1 in 200" has no unit, and what is behind # is no note.
[[nodiscard]] FirstUnit firstUnit(std::string_view notes);

} // namespace mezzet
