#pragma once

#include "project/project.h"

#include <optional>
#include <string>
#include <vector>

namespace mezzet {

// What follows in a job when something else in it has changed.

/// Pieces of a group hang on its wall. True when one was moved to it.
bool followGroup(Scheme&, const Piece& group);

/// Groups as their members make them: an outline's size, about its middle; one with nothing in it
/// goes.
void regroup(Project&);

/// What is tied to eye level goes to where that is now.
void followEyes(Project&);

/// What hung on a wall that is gone hangs on the room's last one, free, and is told of in
/// `notices`. Problem: the room has no wall left.
[[nodiscard]] std::optional<Problem> rehang(Project&, std::vector<std::string>& notices);

} // namespace mezzet
