// The order of work as iCalendar and as CSV, and what comes back of it.
#include "handover/tasks.h"

#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "work/calendar_file.h"

#include <algorithm>
#include <charconv>
#include <set>

namespace mezzet {

namespace {

using std::chrono::days;

std::string hoursText(double h) {
    auto s = fmt::format("{:.2f}", h);
    s.erase(s.find_last_not_of('0') + 1);
    if (s.back() == '.')
        s.pop_back();
    return s;
}

/// What is told of one task, made if there is nothing yet.
TaskTold& toldOf(Handover& h, const std::string& name) {
    if (TaskTold* t = h.task(name))
        return *t;
    TaskTold fresh;
    fresh.name = name;
    h.tasks.push_back(std::move(fresh));
    return h.tasks.back();
}

std::optional<std::size_t> taskCalled(const JobSchedule& now, std::string_view name) {
    for (std::size_t i = 0; i < now.tasks.size(); ++i)
        if (foldCase(now.tasks[i].task.name) == foldCase(name))
            return i;
    return {};
}

/// Begins a task on another day, or gives it others to be worked on.
class TaskMover {
public:
    TaskMover(const Project& job, const JobSchedule& now, TasksChange& out)
        : now_(now), out_(out), calendar_(handedOver(job).calendar) {}

    void begins(std::size_t i, Day start) {
        if (start == now_.times[i].start)
            return;
        const std::string& name = now_.tasks[i].task.name;
        toldOf(out_.handover, name).notBefore = start;
        out_.told.push_back(worded("{} begins on {} and not on {}", name, dayWords(start),
                                   dayWords(now_.times[i].start)));
    }
    void takes(std::size_t i, int worked) {
        const JobTask& t = now_.tasks[i];
        if (worked == t.task.days)
            return;
        TaskTold& told = toldOf(out_.handover, t.task.name);
        told.days = worked;
        out_.told.push_back(
            worded("{} takes {} days and not {}", t.task.name, worked, t.task.days));
    }
    /// The days of a trade's work from the first to the last, both of them; at least one.
    [[nodiscard]] int workedDays(Day from, Day to, std::string_view trade) const {
        int n = 0;
        for (Day d = from; d <= to; d += days(1))
            n += calendar_.isWorked(d, trade) ? 1 : 0;
        return std::clamp(n, 1, mostTaskDays);
    }

private:
    const JobSchedule& now_;
    TasksChange& out_;
    WorkCalendar calendar_;
};

/// A change that can be done: the tasks have their days with it.
Result<TasksChange> thatCanBe(const Project& job, Day from, TasksChange change,
                              std::string_view file) {
    if (change.handover.tasks.size() > mostTasks) {
        Problem p{worded("{} tasks are more than {}", change.handover.tasks.size(), mostTasks),
                  std::string(told("make some of them one"))};
        p.file = file;
        return p;
    }
    for (const std::string& name : withThoseBefore(job, change.handover))
        change.told.push_back(worded("{} is a new task", name));
    // Days read from a file are days of a plan: it begins when that did.
    if (!change.handover.from)
        change.handover.from = from;
    if (auto wrong = wrongTasks(job, change.handover)) {
        wrong->file = file;
        return *wrong;
    }
    return change;
}

enum class TaskColumn {
    name,
    trade,
    hours,
    worked,
    wait,
    after,
    start,
    end,
    slack,
    critical,
    note
};
constexpr std::array<std::string_view, 11> taskColumns{"name",       "trade",    "hours", "days",
                                                       "wait_days",  "after",    "start", "end",
                                                       "slack_days", "critical", "note"};

} // namespace

std::string tasksAsCalendar(const JobSchedule& s, std::string_view title) {
    std::vector<CalendarTask> all;
    std::set<std::string> ids;
    for (std::size_t i = 0; i < s.tasks.size(); ++i) {
        const JobTask& t = s.tasks[i];
        CalendarTask c;
        c.name = t.task.name;
        // Names that differ in their signs only have one id; numbered, they stay the same.
        c.id = calendarId(c.name);
        for (int n = 2; !ids.insert(c.id).second; ++n)
            c.id = calendarId(c.name + " " + std::to_string(n));
        c.trade = t.task.trade;
        c.start = s.times[i].start;
        c.end = s.times[i].end;
        c.after = t.afterNames;
        c.critical = s.times[i].critical;
        std::vector<std::string> note;
        if (!t.note.empty())
            note.push_back(t.note);
        if (!t.atHand.empty())
            note.push_back(worded("At hand: {}.", listed(t.atHand)));
        note.insert(note.end(), t.cautions.begin(), t.cautions.end());
        for (const std::string& n : note)
            c.note += (c.note.empty() ? "" : " ") + n;
        all.push_back(std::move(c));
    }
    return calendarText(all, title, s.from);
}

std::string tasksAsCsv(const JobSchedule& s) {
    std::string out;
    for (std::size_t c = 0; c < taskColumns.size(); ++c)
        out += (c == 0 ? "" : ",") + std::string(taskColumns.at(c));
    out += "\r\n";
    for (std::size_t i = 0; i < s.tasks.size(); ++i) {
        const JobTask& t = s.tasks[i];
        const TimedTask& at = s.times[i];
        std::string after;
        for (const std::string& a : t.afterNames)
            after += (after.empty() ? "" : "; ") + a;
        const std::array<std::string, taskColumns.size()> cells{t.task.name,
                                                                t.task.trade,
                                                                hoursText(t.task.hours),
                                                                std::to_string(t.task.days),
                                                                std::to_string(t.task.waitDays),
                                                                after,
                                                                isoDay(at.start),
                                                                isoDay(at.end),
                                                                std::to_string(at.slackDays),
                                                                at.critical ? "true" : "false",
                                                                t.note};
        for (std::size_t c = 0; c < cells.size(); ++c)
            out += (c == 0 ? "" : ",") + csvCell(cells.at(c));
        out += "\r\n";
    }
    return out;
}

Result<TasksChange> withCalendar(const Project& job, const JobSchedule& now, std::string_view text,
                                 std::string_view file) {
    const auto read = readCalendar(text, file);
    if (!read)
        return read.problem();
    TasksChange out;
    out.handover = handedOver(job);
    TaskMover move(job, now, out);
    std::map<std::string, std::size_t> byId;
    for (std::size_t i = 0; i < now.tasks.size(); ++i)
        byId.emplace(calendarId(now.tasks[i].task.name), i);
    for (const CalendarTask& c : *read) {
        std::optional<std::size_t> i;
        if (const auto it = byId.find(c.id); it != byId.end())
            i = it->second;
        else
            i = taskCalled(now, c.name);
        if (!i) {
            if (c.cancelled)
                continue;
            TaskTold& t = toldOf(out.handover, c.name);
            t.leftOut = false;
            t.notBefore = c.start;
            t.days = move.workedDays(c.start, c.end, c.trade);
            if (!c.trade.empty())
                t.trade = c.trade;
            t.after = c.after;
            t.note = c.note;
            out.told.push_back(worded("{} is a new task", c.name));
            continue;
        }
        const JobTask& t = now.tasks[*i];
        if (c.cancelled) {
            toldOf(out.handover, t.task.name).leftOut = true;
            out.told.push_back(worded("{} is left out", t.task.name));
            continue;
        }
        if (foldCase(c.name) != foldCase(t.task.name))
            out.told.push_back(
                worded("{} is called {} there; here it keeps its name", t.task.name, c.name));
        move.begins(*i, c.start);
        if (c.end - c.start != now.times[*i].end - now.times[*i].start)
            move.takes(*i, move.workedDays(c.start, c.end, t.task.trade));
    }
    return thatCanBe(job, now.from, std::move(out), file);
}

Result<TasksChange> withTasksCsv(const Project& job, const JobSchedule& now, std::string_view text,
                                 std::string_view file) {
    const auto table = CsvTable::read(text, file, taskColumns, mostTasks);
    if (!table)
        return table.problem();
    TasksChange out;
    out.handover = handedOver(job);
    TaskMover move(job, now, out);
    for (std::size_t r = 0; r < table->rows(); ++r) {
        const auto cell = [&](TaskColumn c) { return table->cell(r, static_cast<std::size_t>(c)); };
        const auto fault = [&](TaskColumn c, std::string what, std::string remedy) {
            return table->fault(r, static_cast<std::size_t>(c), std::move(what), std::move(remedy));
        };
        const auto name = cell(TaskColumn::name);
        if (plainWord(name).empty() || characterCount(name) > mostNameLength)
            return fault(TaskColumn::name,
                         worded("it has no name of 1 to {} characters", mostNameLength),
                         std::string(told("give it one")));
        const auto number = [&](TaskColumn c, double most, bool whole,
                                std::optional<double>& to) -> std::optional<Problem> {
            const auto s = cell(c);
            if (s.empty())
                return {};
            const auto v = readMoney(s);
            if (!v || *v > most || (whole && *v != std::floor(*v)))
                return fault(c,
                             worded("“{}” is no number of {}", shownPlainly(s.substr(0, 60)),
                                    taskColumns.at(static_cast<std::size_t>(c))),
                             std::string(told("write it in figures")));
            to = v;
            return {};
        };
        std::optional<double> hours, worked, wait;
        for (const auto& [c, most, whole, to] :
             {std::tuple{TaskColumn::hours, 24.0 * mostTaskDays, false, &hours},
              std::tuple{TaskColumn::worked, 1.0 * mostTaskDays, true, &worked},
              std::tuple{TaskColumn::wait, 1.0 * mostTaskDays, true, &wait}})
            if (auto wrong = number(c, most, whole, *to))
                return *wrong;
        std::optional<Day> start, end;
        for (const auto& [c, to] :
             {std::pair{TaskColumn::start, &start}, std::pair{TaskColumn::end, &end}})
            if (const auto s = cell(c); !s.empty()) {
                const auto d = readDay(s);
                if (!d)
                    return fault(c, d.problem().what, d.problem().remedy);
                *to = *d;
            }
        if (start && end && *end < *start)
            return fault(TaskColumn::end, worded("“{}” ends before it begins", name),
                         std::string(told("let it end on its last day, or later")));
        std::optional<std::vector<std::string>> after;
        if (const auto s = cell(TaskColumn::after); !s.empty()) {
            after.emplace();
            for (std::size_t from = 0; from <= s.size();) {
                const auto to = std::min(s.find(';', from), s.size());
                if (const auto one = trimmed(std::string_view(s).substr(from, to - from));
                    !one.empty() && foldCase(one) != "nothing")
                    after->emplace_back(one);
                from = to + 1;
            }
        }
        const auto i = taskCalled(now, name);
        if (!i) {
            TaskTold& t = toldOf(out.handover, name);
            t.leftOut = false;
            if (const auto trade = cell(TaskColumn::trade); !trade.empty())
                t.trade = trade;
            t.hours = hours;
            if (worked)
                t.days = std::max(1, static_cast<int>(*worked));
            if (wait)
                t.waitDays = static_cast<int>(*wait);
            t.after = after;
            t.notBefore = start;
            t.note = cell(TaskColumn::note);
            out.told.push_back(worded("{} is a new task", name));
            continue;
        }
        const JobTask& t = now.tasks[*i];
        if (const auto trade = cell(TaskColumn::trade); !trade.empty() && trade != t.task.trade) {
            toldOf(out.handover, t.task.name).trade = trade;
            out.told.push_back(worded("{} is for the {}", t.task.name, trade));
        }
        if (hours && std::abs(*hours - t.task.hours) > 0.005) {
            toldOf(out.handover, t.task.name).hours = hours;
            out.told.push_back(worded("{} takes {} hours and not {}", t.task.name,
                                      hoursText(*hours), hoursText(t.task.hours)));
        }
        if (wait && static_cast<int>(*wait) != t.task.waitDays) {
            toldOf(out.handover, t.task.name).waitDays = static_cast<int>(*wait);
            out.told.push_back(worded("after {} comes a wait of {} days and not {}", t.task.name,
                                      static_cast<int>(*wait), t.task.waitDays));
        }
        if (after && *after != t.afterNames) {
            toldOf(out.handover, t.task.name).after = after;
            out.told.push_back(after->empty()
                                   ? worded("{} comes after nothing", t.task.name)
                                   : worded("{} comes after {}", t.task.name, listed(*after)));
        }
        if (const auto note = cell(TaskColumn::note); !note.empty() && note != t.note)
            toldOf(out.handover, t.task.name).note = note;
        if (start)
            move.begins(*i, *start);
        if (worked)
            move.takes(*i, std::max(1, static_cast<int>(*worked)));
        if (end && (!worked || static_cast<int>(*worked) == t.task.days)) {
            const Day from = start.value_or(now.times[*i].start);
            if (*end - from != now.times[*i].end - now.times[*i].start && *end >= from)
                move.takes(*i, move.workedDays(from, *end, t.task.trade));
        }
    }
    return thatCanBe(job, now.from, std::move(out), file);
}

} // namespace mezzet
