#pragma once

#include "measure/result.h"

#include <chrono>
#include <string>
#include <string_view>

namespace mezzet {

/// A day of the (Gregorian) calendar.
using Day = std::chrono::sys_days;

/// "2027-03-01", as ISO 8601 has it; years 1970 to 2200. Problem: no such day.
[[nodiscard]] Result<Day> readDay(std::string_view);
/// "2027-03-01".
[[nodiscard]] std::string isoDay(Day);
/// "Mon 1 Mar 2027", and without its year.
[[nodiscard]] std::string dayWords(Day);
[[nodiscard]] std::string shortDayWords(Day);
/// 0 for Monday to 6 for Sunday.
[[nodiscard]] int weekdayOf(Day);
/// Today, where the machine is.
[[nodiscard]] Day today();

/// Days from the first to the last, both of them.
struct DaySpan {
    Day from;
    Day to;

    bool operator==(const DaySpan&) const = default;
    [[nodiscard]] bool holds(Day d) const { return d >= from && d <= to; }
};

} // namespace mezzet
