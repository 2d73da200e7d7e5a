#pragma once

#include <span>
#include <string>

namespace mezzet {

/// A way of saying what the line says otherwise.
struct OtherWords {
    const char* said;    ///< a pattern of the whole line, in any case
    const char* instead; ///< with $1 and so on for what was said there
    bool drops = false;  ///< a figure may be left out: it says no more than the words put for it
};

/// All of them; they are tried in this order.
[[nodiscard]] std::span<const OtherWords> otherWords();
/// Of those that come first, the ones that are questions then.
[[nodiscard]] std::span<const OtherWords> askedOtherwise();
[[nodiscard]] std::span<const OtherWords> moreOtherWords();
[[nodiscard]] std::span<const OtherWords> otherChanges();
/// Those of questions, and of what is not done but told; tried after those.
[[nodiscard]] std::span<const OtherWords> otherQuestions();
/// Words within a line that stand for others wherever they are: all of them at once, before the
/// rest is tried.
[[nodiscard]] std::span<const OtherWords> otherWithin();
/// "two feet", "nine by twelve": numbers before a unit, and such sizes, in figures.
[[nodiscard]] std::string inFigures(std::string line);

} // namespace mezzet
