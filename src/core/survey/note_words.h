#pragma once

#include "survey/tape_notes.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>

namespace mezzet {

/// A word of notes written out: "wdw" is window. One that is no abbreviation is as it was.
[[nodiscard]] std::string writtenOut(const std::string& word);

/// What the first figure with a unit in some notes is written in.
enum class FirstUnit { nothing, metric, feetOrInches };

/// "2,55 m" is metric, "14' 2" is not; "1 in 200" has no unit, and what is behind # is no note.
[[nodiscard]] FirstUnit firstUnit(std::string_view notes);

/// What is in a wall, as it is said at the beginning of a line: "sliding door", "front door",
/// "picture window", "baseboard heater".
struct ThingSaid {
    std::string_view words; ///< of one; of several they end in an s
    std::string_view is;    ///< the word of the notes
    std::optional<DoorStyle> style{};
    std::optional<WindowOpens> opens{};
    std::string_view leadsTo{}; ///< of a door
};
/// All that are known, those with more words first.
[[nodiscard]] std::span<const ThingSaid> thingsSaid();

} // namespace mezzet
