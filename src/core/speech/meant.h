#pragma once

#include "project/project.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// What a sentence means in this job, where it can be told in one way: "the right one", "between
/// the two", "the lamp by the bed", "as tall as the door", "on the desk, left corner", "instead of
/// the round one". The same sentence with those words put plainly, likeliest first; none where
/// nothing of the kind is said.
[[nodiscard]] std::vector<std::string> asMeant(std::string_view text, const Project&);

/// The same of what the line's own words would understand, but not so well: "a loveseat at right
/// angles to the sofa" tells its turn, and means its place.
[[nodiscard]] std::vector<std::string> meantFirst(std::string_view text, const Project&);

/// How else it may be placed by the same words where, as they are usually meant, it would come to
/// harm: turned along what it is beside, over each other, side by side.
[[nodiscard]] std::vector<std::string> meantClear(std::string_view text, const Project&);

} // namespace mezzet
