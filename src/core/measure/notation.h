#pragma once

#include "measure/length.h"
#include "measure/result.h"

#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// The units a job shows its lengths in, and the unit a bare number takes.
enum class Units {
    feetAndInches, ///< 8' 2 1/2"; a bare number is inches
    inches,        ///< 98 1/2"
    millimetres,   ///< 2490 mm
    centimetres,   ///< 249 cm
    metres         ///< 2.49 m
};

[[nodiscard]] constexpr bool isMetric(Units u) {
    return u != Units::feetAndInches && u != Units::inches;
}

/// How lengths are written.
struct Notation {
    Units units = Units::feetAndInches;
    int denominator = 8; ///< inches to 1/denominator: 2, 4, 8, 16 or 32. Not used by metric units.

    bool operator==(const Notation&) const = default;
};

/// A length found at the start of some text.
struct ScannedLength {
    Length value;
    std::size_t used = 0;   ///< bytes of text it took
    bool unitGiven = false; ///< false when the number was bare
};

/// Reads the longest length at the start of `text`; leading blanks are skipped and counted as used.
/// A bare number takes `bare`. Takes 8' 2", 8' 2 1/2", 8-2 1/2, 98 1/2, 98.5in, 8ft 2in, 2.49m,
/// 249cm, 2490mm, with typographic primes, minus signs and fractions.
/// Problem: no length there, or one that can't be meant (8' 14"); column points into `text`.
[[nodiscard]] Result<ScannedLength> scanLength(std::string_view text, Units bare);

/// As scanLength, but the whole text must be one length.
[[nodiscard]] Result<Length> readLength(std::string_view text, Units bare);

/// Writes a length as the notation says, rounded to its smallest division. readLength of the result
/// gives a length that is written the same.
[[nodiscard]] std::string write(Length, Notation);

/// As write, but in feet and inches uses inches alone: the way gaps and furniture are called.
[[nodiscard]] std::string writeGap(Length, Notation);

/// A size without marks, "84 x 36" in inches or "213 x 91" in cm, for lists and schedules.
[[nodiscard]] std::string writeBare(Length, Notation);

/// The smallest division the notation shows: 1/8 in, 1 mm, 1 mm (0.1 cm), 1 mm (0.001 m).
[[nodiscard]] Length division(Notation);

/// The nearest multiple of the notation's division.
[[nodiscard]] Length rounded(Length, Notation);

/// "feet", "inches", "mm", "cm" or "m".
[[nodiscard]] std::string_view unitsName(Units);

/// Reads a unit system as people name it: feet, ft, inches, in, mm, cm, m, metric (mm), imperial.
[[nodiscard]] std::optional<Units> readUnits(std::string_view);

} // namespace mezzet
