#pragma once

#include "judge/reading.h"

namespace mezzet {

/// An edit that mends a reading, tried on the whole scene before it is offered.
struct Remedy {
    std::string line; ///< what it says; typing it does the same
    Edit edit;
    std::string preview;             ///< what it does, in a sentence
    std::vector<std::string> upsets; ///< what else gets worse
    std::vector<std::string> mends;  ///< what else gets better
};

/// The best edit that brings a reading into its band: each number that could do it is tried at the
/// middle of the band and at its near edge, on the whole scene, and the one that upsets least is
/// taken. Empty when none of them does, or when there is nothing to mend.
[[nodiscard]] std::optional<Remedy> remedyFor(const Reading&, const Project&, const Scene&,
                                              const std::vector<Reading>& all);

/// The edit that brings a reading to a typed value. Problem when no tie, step or size does.
[[nodiscard]] Result<Remedy> bringTo(const Reading&, double value, const Project&, const Scene&,
                                     const std::vector<Reading>& all);

} // namespace mezzet
