#include "edit/handed_over.h"

#include "handover/tasks.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

std::optional<Problem> wrongHandover(const Project& job, const Handover& h) {
    const auto over = [](std::size_t n, std::size_t most, const char* what) {
        return n > most ? std::optional(Problem{worded("a job has at most {} {}", most, told(what)),
                                                std::string(told("leave some out"))})
                        : std::nullopt;
    };
    if (auto p = over(h.list.size(), mostEntries, "things on its list"))
        return p;
    if (auto p = over(h.tasks.size(), mostTasks, "tasks"))
        return p;
    if (auto p = over(h.calendar.holidays.size(), mostHolidays, "holidays"))
        return p;
    if (auto p = over(h.calendar.away.size(), mostHolidays, "times away"))
        return p;
    if (auto p = over(h.built.size(), mostBuilt, "measures of what was built"))
        return p;
    for (const ListEntry& e : h.list)
        if (plainWord(e.name).empty() || characterCount(e.name) > mostNameLength)
            return Problem{std::string(told("a thing on the list needs a name")),
                           worded("use 1 to {} characters", mostNameLength)};
    for (const TaskTold& t : h.tasks)
        if (plainWord(t.name).empty() || characterCount(t.name) > mostNameLength)
            return Problem{std::string(told("a task needs a name")),
                           worded("use 1 to {} characters", mostNameLength)};
    // What can't be set in days any more for another reason than this is no fault of it.
    const bool tasks =
        !job.handover || job.handover->tasks != h.tasks || job.handover->calendar != h.calendar;
    return tasks ? wrongTasks(job, h) : std::nullopt;
}

void followName(Project& job, std::string_view was, std::string_view is) {
    if (!job.handover || was == is)
        return;
    for (std::size_t i = 0; i < job.schemes.size(); ++i)
        if (i != job.active && job.schemes[i]->room == job.scheme().room &&
            job.schemes[i]->byName(was) != nullptr)
            return;
    Handover next = *job.handover;
    followName(next, job.room->name, was, is);
    if (next != *job.handover)
        job.handover = std::make_shared<const Handover>(std::move(next));
}

Edit listEdit(const Project& job, const ListChange& change, std::string words) {
    Edit e;
    e.words = std::move(words);
    e.notices = change.told;
    std::size_t at = job.active;
    for (const ListChange::Put& p : change.pieces) {
        if (p.scheme != at)
            e.acts.emplace_back(SwitchScheme{p.scheme});
        at = p.scheme;
        e.acts.emplace_back(PutPiece{p.piece});
    }
    if (at != job.active)
        e.acts.emplace_back(SwitchScheme{job.active});
    if (!job.handover || *job.handover != change.handover)
        e.acts.emplace_back(SetHandover{change.handover});
    return e;
}

} // namespace mezzet
