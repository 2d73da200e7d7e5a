#pragma once

#include "work/date.h"

#include <array>
#include <cstddef>
#include <string>
#include <vector>

namespace mezzet {

/// When somebody of a trade is not there.
struct TradeAway {
    std::string trade;
    DaySpan days;

    bool operator==(const TradeAway&) const = default;
};

/// The days that are worked.
struct WorkCalendar {
    std::array<bool, 7> worked{true, true, true, true, true, false, false}; ///< Monday first
    std::vector<DaySpan> holidays;
    std::vector<TradeAway> away;

    bool operator==(const WorkCalendar&) const = default;
    [[nodiscard]] bool isWorked(Day, std::string_view trade) const;
};

/// One task to be set in days.
struct WorkTask {
    std::string name;
    std::string trade;
    double hours = 8;
    int days = 1;     ///< worked
    int waitDays = 0; ///< after its last day, before anything that comes after it: of the calendar
    std::vector<std::size_t> after; ///< places in the list
    std::optional<Day> notBefore{};
};

/// When a task is done.
struct TimedTask {
    Day start;
    Day end;               ///< the last day worked
    int slackDays = 0;     ///< days worked by which it may slip before the end of all does
    bool critical = false; ///< none: it is of the longest chain
    [[nodiscard]] bool operator==(const TimedTask&) const = default;
};

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostTasks = 500;
inline constexpr int mostTaskDays = 1000;

/// Sets tasks in days by the critical path method (Kelley and Walker 1959), forward for the first
/// days there are and backward for the last: a task begins on the first day its trade works that
/// is after the last day, and the days of waiting, of all it comes after; it may be broken by days
/// that are not worked. A task's slack is counted in days its trade works.
/// Problem: a task that comes before itself, with the ring; more than can be held; a calendar in
/// which a task never ends within 20 years.
[[nodiscard]] Result<std::vector<TimedTask>> scheduled(const std::vector<WorkTask>&,
                                                       const WorkCalendar&, Day from);

} // namespace mezzet
