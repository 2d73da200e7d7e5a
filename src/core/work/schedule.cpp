#include "work/schedule.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr int mostLooked = 20 * 366; ///< days looked at for one that is worked

using std::chrono::days;

class WorkDays {
public:
    WorkDays(const WorkCalendar& calendar, std::string_view trade)
        : calendar_(calendar), trade_(trade) {}

    /// The first worked day from `d` on, or back from it; nothing when there is none for years.
    [[nodiscard]] std::optional<Day> from(Day d, int step) const {
        for (int i = 0; i < mostLooked; ++i, d += days(step))
            if (calendar_.isWorked(d, trade_))
                return d;
        return {};
    }
    /// The day on which work of so many days ends that begins on a worked day; `step` -1 goes back.
    [[nodiscard]] std::optional<Day> over(Day d, int worked, int step) const {
        std::optional<Day> at = d;
        for (int i = 1; i < worked && at; ++i)
            at = from(*at + days(step), step);
        return at;
    }
    /// How many days are worked after `a`, up to `b` and with it.
    [[nodiscard]] int between(Day a, Day b) const {
        int n = 0;
        for (Day d = a + days(1); d <= b; d += days(1))
            n += calendar_.isWorked(d, trade_) ? 1 : 0;
        return n;
    }

private:
    const WorkCalendar& calendar_;
    std::string_view trade_;
};

/// The tasks in an order in which each comes after what it waits for. Problem: the ring.
Result<std::vector<std::size_t>> inOrder(const std::vector<WorkTask>& tasks) {
    std::vector<int> state(tasks.size(), 0); // 1 being looked at, 2 in the order
    std::vector<std::size_t> order;
    struct Step {
        std::size_t task;
        std::size_t next = 0;
    };
    for (std::size_t first = 0; first < tasks.size(); ++first) {
        if (state[first] != 0)
            continue;
        std::vector<Step> way{{first}};
        state[first] = 1;
        while (!way.empty()) {
            Step& s = way.back();
            if (s.next == tasks[s.task].after.size()) {
                state[s.task] = 2;
                order.push_back(s.task);
                way.pop_back();
                continue;
            }
            const std::size_t before = tasks[s.task].after[s.next++];
            if (state[before] == 0) {
                state[before] = 1;
                way.push_back({before});
            } else if (state[before] == 1) {
                std::string ring = tasks[before].name;
                for (std::size_t i = way.size(); i-- > 0;) {
                    ring = worded("{} after {}", tasks[way[i].task].name, ring);
                    if (way[i].task == before)
                        break;
                }
                return Problem{worded("a task would come before itself: {}", ring),
                               std::string(told("take one of these out of it"))};
            }
        }
    }
    return order;
}

} // namespace

bool WorkCalendar::isWorked(Day d, std::string_view trade) const {
    if (!worked.at(static_cast<std::size_t>(weekdayOf(d))))
        return false;
    if (std::any_of(holidays.begin(), holidays.end(), [&](const DaySpan& h) { return h.holds(d); }))
        return false;
    return std::none_of(away.begin(), away.end(), [&](const TradeAway& a) {
        return a.days.holds(d) && foldCase(a.trade) == foldCase(trade);
    });
}

Result<std::vector<TimedTask>> scheduled(const std::vector<WorkTask>& tasks,
                                         const WorkCalendar& calendar, Day from) {
    if (tasks.size() > mostTasks)
        return Problem{worded("{} tasks are more than {}", tasks.size(), mostTasks),
                       std::string(told("make some of them one"))};
    const auto order = inOrder(tasks);
    if (!order)
        return order.problem();
    std::vector<TimedTask> out(tasks.size());
    const auto never = [&](std::size_t i) {
        return Problem{worded("“{}” does not end within 20 years", tasks[i].name),
                       std::string(told("look at how long tasks take, at the days worked, the "
                                        "holidays and who is away"))};
    };
    Day end = from;
    for (const std::size_t i : *order) {
        const WorkTask& t = tasks[i];
        const WorkDays work(calendar, t.trade);
        Day first = t.notBefore ? std::max(from, *t.notBefore) : from;
        for (const std::size_t b : t.after)
            first = std::max(first, out[b].end + days(1 + tasks[b].waitDays));
        if ((first - from).count() > mostLooked)
            return never(i);
        const auto start = work.from(first, 1);
        const auto last = start ? work.over(*start, std::max(1, t.days), 1) : start;
        if (!last || (*last - from).count() > mostLooked)
            return never(i);
        out[i].start = *start;
        out[i].end = *last;
        end = std::max(end, *last);
    }
    // Back from the last day of all: each may end on the last day its trade works from which the
    // wait still leaves those after it their last start.
    std::vector<std::optional<Day>> mayEnd(tasks.size());
    for (std::size_t k = order->size(); k-- > 0;) {
        const std::size_t i = (*order)[k];
        const WorkTask& t = tasks[i];
        const WorkDays work(calendar, t.trade);
        const Day last = mayEnd[i] ? std::max(*mayEnd[i], out[i].end) : end;
        const Day lateEnd = work.from(last, -1).value_or(out[i].end);
        out[i].slackDays = work.between(out[i].end, lateEnd);
        out[i].critical = out[i].slackDays == 0;
        const Day lateStart = work.over(lateEnd, std::max(1, t.days), -1).value_or(out[i].start);
        for (const std::size_t b : t.after) {
            const Day may = lateStart - days(1 + tasks[b].waitDays);
            mayEnd[b] = mayEnd[b] ? std::min(*mayEnd[b], may) : may;
        }
    }
    return out;
}

} // namespace mezzet
