#pragma once

#include "judge/reading.h"

#include <functional>

namespace mezzet {

/// A number that could bring a reading to another value: what is done for it, and how it would be
/// said. A length is tried in whole divisions of the tape only, so that what is said is what is
/// done.
struct Handle {
    /// What is done; Problem where that number makes no sense.
    std::function<Result<Edit>(double)> edit;
    /// How one would type it, for show. Typing it does the same.
    std::function<std::string(double)> line;
    double start = 0; ///< the number that should do it, if all goes straight: mm, or a ratio
    double slope = 1; ///< how the value is expected to change with the number
    enum class Of { length, ratio, nothing };
    Of of = Of::length;
    double step = 0; ///< of a ratio: the least that makes a difference
};

/// For a rule that nothing brings to another value by itself.
[[nodiscard]] std::vector<Handle> noHandles(const Reading&, double, const Project&, const Scene&);

/// "move NAME 6" away from OTHER", growing or shrinking the gap by so many mm.
[[nodiscard]] Handle moveAway(const Project&, const Scene&, int id, const Target& other, double by);
/// "move NAME 6" left", on a wall; `way` is a unit step and `word` says it.
[[nodiscard]] Handle moveAlong(const Project&, const Scene&, int id, Vec2 way, const char* word,
                               double by);
/// The four of them.
[[nodiscard]] std::vector<Handle> moveAnywhereOnWall(const Project&, const Scene&, int id,
                                                     double by, double slope);
/// To the right by so many mm, or to the left by less than nothing.
[[nodiscard]] Handle moveRight(const Project&, const Scene&, int id, double by);
/// "NAME 16" from OTHER" for the tie behind a gap between two pieces, whichever has it; empty when
/// neither is tied to the other.
[[nodiscard]] std::vector<Handle> retape(const Project&, const Scene&, int id, int other,
                                         double by);
/// A tie with its distance open; none under nothing.
[[nodiscard]] Handle tieAt(const Project&, const Scene&, int id, const Tie&, double start);
/// "size NAME 26 deep" with one figure open.
enum class SizeFigure { width, depth, height };
[[nodiscard]] Handle resize(const Project&, const Scene&, int id, SizeFigure, double start,
                            double slope);
/// A face grown or shrunk in proportion; the number is how many times.
[[nodiscard]] Handle scaled(const Project&, const Scene&, int id, double start, double slope);
/// One thing done, without a number.
[[nodiscard]] Handle doing(std::string line, Result<Edit> edit);

} // namespace mezzet
