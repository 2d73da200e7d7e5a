#pragma once

#include "handover/list.h"
#include "scheme/resolve.h"

namespace mezzet {

/// A task of a job, with what goes with it.
struct JobTask {
    WorkTask task;
    std::vector<std::string> afterNames; ///< of `task.after`
    std::vector<std::string> cautions;
    std::vector<std::string> atHand; ///< tools and fixings, by count
    std::string note;
    bool own = false; ///< the user's, and not of the job itself
};

/// What is to be done for a job: of the standard tasks those that something in its rooms asks for,
/// an order or a delivery for what has a lead time and is not there yet, and what was told of any
/// of them over that. Tasks that are told of and are in none are the user's own. A task that comes
/// after one that is not there comes after what that one came after. Problem: as scheduled().
[[nodiscard]] Result<std::vector<JobTask>> jobTasks(const Project&);

/// What a task is called in the language that is spoken; by its own name where it has none there.
[[nodiscard]] std::string spokenTask(const std::string& name);

/// The tasks with their days.
struct JobSchedule {
    std::vector<JobTask> tasks;
    std::vector<TimedTask> times; ///< one for each
    Day from;
    Day end;
};
/// `from`, when it is given, is the first day; else the one told, else the Monday after `today`.
/// Problem: as jobTasks().
[[nodiscard]] Result<JobSchedule> jobSchedule(const Project&, std::optional<Day> from, Day today);
/// The tasks' places in the list, as they begin; of those on one day, as they end.
[[nodiscard]] std::vector<std::size_t> inOrderOfDays(const JobSchedule&);

/// A task that begins on another day.
struct MovedTask {
    std::string name;
    Day was;
    Day is;
};
[[nodiscard]] std::vector<MovedTask> movedBetween(const JobSchedule& was, const JobSchedule& is);

/// Takes the changes of a calendar's file into what is told of the tasks: one that begins on
/// another day is not begun before it, one that takes another time takes that, one that was
/// cancelled is left out, one that is new is the user's own. Told: a sentence for each change.
struct TasksChange {
    Handover handover;
    std::vector<std::string> told;
};
[[nodiscard]] Result<TasksChange> withCalendar(const Project&, const JobSchedule& now,
                                               std::string_view text, std::string_view file);
/// The same from CSV, whose columns are the keys of the tasks' JSON; `after` is parted by
/// semicolons, and “nothing” comes after nothing. Columns may be left out; empty cells change
/// nothing.
[[nodiscard]] Result<TasksChange> withTasksCsv(const Project&, const JobSchedule& now,
                                               std::string_view text, std::string_view file);

/// The tasks as CSV, as withTasksCsv reads it.
[[nodiscard]] std::string tasksAsCsv(const JobSchedule&);
/// The tasks as iCalendar.
[[nodiscard]] std::string tasksAsCalendar(const JobSchedule&, std::string_view title);

/// Makes a task of every name that a told task comes after and that is none yet; those names.
[[nodiscard]] std::vector<std::string> withThoseBefore(const Project&, Handover&);

/// Whether tasks can be set in days as a handing over tells them; what stands against it.
[[nodiscard]] std::optional<Problem> wrongTasks(const Project&, const Handover&);

} // namespace mezzet
