#include "work/date.h"

#include "measure/texts.h"

#include <fmt/format.h>

#include <array>
#include <ctime>

namespace mezzet {

namespace {

// texts
constexpr std::array<const char*, 7> weekdays{"Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"};
constexpr std::array<const char*, 12> months{"Jan", "Feb", "Mar", "Apr", "May", "Jun",
                                             "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"};
// end of texts

} // namespace

Result<Day> readDay(std::string_view text) {
    const Problem none{worded("“{}” is no day", text.substr(0, 40)),
                       std::string(told("say it as year, month and day, like 2027-03-01"))};
    if (text.size() != 10 || text[4] != '-' || text[7] != '-')
        return none;
    std::array<int, 3> part{};
    std::size_t at = 0;
    for (const std::size_t from : {std::size_t{0}, std::size_t{5}, std::size_t{8}}) {
        int v = 0;
        for (std::size_t i = from; i < (from == 0 ? 4 : from + 2); ++i) {
            if (text[i] < '0' || text[i] > '9')
                return none;
            v = v * 10 + (text[i] - '0');
        }
        part.at(at++) = v;
    }
    const std::chrono::year_month_day day{std::chrono::year(part[0]),
                                          std::chrono::month(static_cast<unsigned>(part[1])),
                                          std::chrono::day(static_cast<unsigned>(part[2]))};
    if (!day.ok() || part[0] < 1970 || part[0] > 2200)
        return none;
    return Day(day);
}

std::string isoDay(Day d) {
    const std::chrono::year_month_day day{d};
    return fmt::format("{:04}-{:02}-{:02}", static_cast<int>(day.year()),
                       static_cast<unsigned>(day.month()), static_cast<unsigned>(day.day()));
}

int weekdayOf(Day d) {
    return static_cast<int>(std::chrono::weekday(d).iso_encoding()) - 1;
}

std::string shortDayWords(Day d) {
    const std::chrono::year_month_day day{d};
    return fmt::format("{} {} {}", told(weekdays.at(static_cast<std::size_t>(weekdayOf(d)))),
                       static_cast<unsigned>(day.day()),
                       told(months.at(static_cast<unsigned>(day.month()) - 1)));
}

std::string dayWords(Day d) {
    return fmt::format("{} {}", shortDayWords(d),
                       static_cast<int>(std::chrono::year_month_day{d}.year()));
}

Day today() {
    const std::time_t now = std::time(nullptr);
    std::tm local{};
    localtime_r(&now, &local);
    return Day(std::chrono::year(local.tm_year + 1900) /
               std::chrono::month(static_cast<unsigned>(local.tm_mon + 1)) /
               std::chrono::day(static_cast<unsigned>(local.tm_mday)));
}

} // namespace mezzet
