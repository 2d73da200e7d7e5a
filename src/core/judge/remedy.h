#pragma once

#include "judge/reading.h"

#include <functional>

namespace mezzet {

/// An edit that mends a reading, tried on the whole scene before it is offered.
struct Remedy {
    std::string line; ///< what it says; typing it does the same
    Edit edit;
    std::string preview;             ///< what it does, in a sentence
    std::vector<std::string> upsets; ///< what else gets worse
    std::vector<std::string> mends;  ///< what else gets better
    int moves = 1;                   ///< more than one for a chain of moves
};

/// The best edit that brings a reading into its band: each number that could do it is tried at the
/// middle of the band and at its near edge, on the whole scene, and the one that upsets least is
/// taken. When that one upsets something, a second move, and a third, are looked for that mend what
/// the one before upset; the chain is offered when it leaves less to mend. It mends the same
/// relation, found again (see guard.h), never costs what is guarded there, and leaves less to mend,
/// by weight, than there was. Empty when nothing does, when there is nothing to mend, or when it is
/// stopped.
[[nodiscard]] std::optional<Remedy> remedyFor(const Reading&, const Project&, const Scene&,
                                              const Judged& before, const Stopped& stopped = {});
/// The same, judging the scene itself.
[[nodiscard]] std::optional<Remedy> remedyFor(const Reading&, const Project&, const Scene&,
                                              const std::vector<Reading>& all);

/// The remedy of each reading, in their order, as `remedyFor` finds it: empty where there is none,
/// nothing said where it was not looked for, being stopped before. They are looked for side by
/// side, a thread a processor, so `stopped` is asked by several; `done` is told of each, by one
/// thread at a time.
[[nodiscard]] std::vector<std::optional<std::optional<Remedy>>>
remediesFor(const Judged&, const Project&, const Scene&, const Stopped& stopped = {},
            const std::function<void()>& done = {});

/// The edit that brings a reading to a typed value. Problem when no tie, step or size does. What is
/// typed is done as typed; what it upsets is told.
[[nodiscard]] Result<Remedy> bringTo(const Reading&, double value, const Project&, const Scene&,
                                     const std::vector<Reading>& all);

/// How "mend all I can" goes about it.
struct MendAsked {
    Length largestMove = Length::inches(24);        ///< no piece ends farther from where it stood
    std::function<bool(int done, int left)> goesOn; ///< told after each step; false stops
    Stopped stopped{};                              ///< asked while remedies are looked for
};
/// What it came to.
struct Mended {
    Edit edit;                      ///< all steps in one; empty when nothing could be mended
    std::vector<std::string> lines; ///< the steps, as they would be typed
    std::vector<std::string> why;   ///< of each step, the reading it mends
    std::vector<std::vector<std::string>> but; ///< of each step, all that it upsets
    int before = 0;                            ///< readings to mend, before and after
    int after = 0;
    bool stopped = false;
};
/// Mends what can be mended: the weightiest reading first, each by its remedy. Remedies that upset
/// nothing come first; when none is left, one that upsets less than it mends, by weight and by
/// count, is taken, and what it upsets is told. Locked pieces stay, and none ends farther than
/// asked from where it stood.
[[nodiscard]] Mended mendAll(const Project&, const MendAsked&);

/// Whether a reading is to mend and was not before, or is worse than it was; false when it is only
/// less wrong.
[[nodiscard]] bool isUpset(const Reading& now, const std::vector<Reading>& before);

/// The sum of what is to mend, by weight: less is better.
[[nodiscard]] double weightOf(const std::vector<Reading>&);

} // namespace mezzet
