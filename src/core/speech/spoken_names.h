#pragma once

#include "edit/line.h"
#include "project/project.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

// Lines that speak of what was spoken of last, with its names.

/// "move them closer together", "make it as long as it goes"; empty where the line doesn't speak of
/// them, or nothing was spoken of.
[[nodiscard]] std::string theirNames(std::string_view line, const Project&,
                                     const std::vector<int>& them);

/// "the lamp" of four, where one of them was spoken of last, and "the pictures" of those hung last;
/// empty where it says nothing so.
[[nodiscard]] std::string ofThoseSpoken(std::string_view line, const Project&,
                                        const std::vector<int>& them);

/// "another one on the other side", "one more by the door": another of the kind spoken of, by its
/// name; empty where it says nothing so.
[[nodiscard]] std::string anotherOfThose(std::string_view line, const Project&,
                                         const std::vector<int>& them);

/// "and the same on the right", "another at the other end": one more of what was spoken of, on the
/// other side of what it is beside or on; empty where it says nothing so.
[[nodiscard]] std::string onTheOtherSide(std::string_view line, const Project&, const Listener&);
/// "two more cushions", "three more to the right of it": as many of what was spoken of last, as
/// large; on the same top where no place is said.
[[nodiscard]] std::string moreOfThose(std::string_view line, const Project&,
                                      const std::vector<int>&);
/// "hutch to the right too", after one to the left: the line before with the other side said.
[[nodiscard]] std::string onThatSideToo(std::string_view line, const Project&, const Listener&);

/// "make that two", "make it a pair": one more beside what was spoken of, or one on each side for
/// three; empty where it says nothing so.
[[nodiscard]] std::string madeSeveral(std::string_view line, const Project&,
                                      const std::vector<int>& them);

/// "a round one instead", "two sconces instead": in place of what was spoken of; empty where it
/// says nothing so. Without anything spoken of it is only added.
[[nodiscard]] std::string insteadOfThose(std::string_view line, const Project&,
                                         const std::vector<int>& them);

} // namespace mezzet
