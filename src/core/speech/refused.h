#pragma once

#include "project/project.h"

#include <optional>
#include <string_view>

namespace mezzet {

// What is told of a line that is refused, where more can be told than that it isn't known.

/// "on the back wall": a room has no such wall by itself, and is asked about.
[[nodiscard]] std::optional<Problem> whichWall(std::string_view line, const Room&);
/// "plant on the windowsill": how deep a sill or a mantelshelf is stands nowhere in the notes.
[[nodiscard]] std::optional<Problem> onASill(std::string_view line);
/// "mirror on the back of the door": it goes where the leaf goes.
[[nodiscard]] std::optional<Problem> onADoorLeaf(std::string_view line);
/// "take out everything on the coffee table", with nothing on it.
[[nodiscard]] std::optional<Problem> nothingOnIt(std::string_view line, const Project&);
/// "bring it back", of what the line before took out: it is undone.
[[nodiscard]] bool isBroughtBack(std::string_view line, std::string_view before);
/// That what "it" speaks of was taken out; none for a line that doesn't speak of it.
[[nodiscard]] std::optional<Problem> isTakenOut(std::string_view line);
/// That a thing could be one of several, found in other words for a line: pointing at it there.
/// None for another problem, or where it isn't in the line.
[[nodiscard]] std::optional<Problem> whatIsOneOfSeveral(Problem, std::string_view line);
/// That a thing is not there which a line speaks of, found in other words for it: pointing at its
/// name in the line. None for another problem, or where its name isn't in the line.
[[nodiscard]] std::optional<Problem> whatIsMissing(Problem, std::string_view line);

} // namespace mezzet
