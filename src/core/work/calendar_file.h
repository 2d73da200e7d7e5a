#pragma once

#include "work/schedule.h"

#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// A task in a calendar's file.
struct CalendarTask {
    std::string id; ///< stays the same from one writing to the next
    std::string name;
    std::string trade;
    Day start;
    Day end;                        ///< the last day worked
    std::vector<std::string> after; ///< names of tasks
    std::string note;
    bool critical = false;
    bool cancelled = false;

    bool operator==(const CalendarTask&) const = default;
};

/// The tasks as an iCalendar file (RFC 5545), a whole-day event each; what they come after as
/// RELATED-TO of the kind DEPENDS-ON (RFC 9253). `stamp` is when it was written. The same tasks
/// give the same text.
[[nodiscard]] std::string calendarText(const std::vector<CalendarTask>&, std::string_view title,
                                       Day stamp);

/// Reads the events of an iCalendar file; of one with times the days. What else it holds is passed
/// over. Problem: no calendar, an event without a day or a name, one that ends before it begins,
/// too many; with its name.
[[nodiscard]] Result<std::vector<CalendarTask>> readCalendar(std::string_view text,
                                                             std::string_view file);

/// Limits, stated in docs/limits.md.
inline constexpr std::size_t mostCalendarBytes = 8 * 1024 * 1024;

/// What stays the same of a task from one writing to the next: "paint@mezzet", of its name.
[[nodiscard]] std::string calendarId(std::string_view name);

} // namespace mezzet
