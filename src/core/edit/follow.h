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

/// What hangs over furniture goes with it to another wall: the sofa's picture, the chest's mirror.
/// Where the furniture then stands at no wall, or what hangs goes by something else on its own wall
/// too, it stays as it hung and is tied to it no more. `now` is the scheme's scene as it has
/// become. True when anything was changed; told in `notices`.
bool followFurniture(const Project& before, std::size_t scheme, Project&, const Scene& now,
                     std::vector<std::string>& notices);

/// What is tied to eye level goes to where that is now.
void followEyes(Project&);

/// What hung on a wall that is gone hangs on the room's last one, free, and is told of in
/// `notices`. Problem: the room has no wall left.
[[nodiscard]] std::optional<Problem> rehang(Project&, std::vector<std::string>& notices);

/// What stands beside a piece with its back in line with the back of that, as a nightstand does at
/// the head of a bed, stays so when either is made deeper or less deep: the ties of scheme `i` say
/// so anew.
void keepBacksInLine(const Project& before, std::size_t i, Project& job);

} // namespace mezzet
