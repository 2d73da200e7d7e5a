// The order of work of a job, and the calendars and tables it goes out as and comes back from.
#include "handover/tasks.h"

#include "edit/handed_over.h"
#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Day first = *readDay("2027-03-01");

Project roomToWorkIn() {
    return jobWith({"sofa 84 x 36 x 34 against wall C", "coffee table 48 x 24 at 10', 9'",
                    "rug 96 x 60 at 10', 9'", "picture 30 x 24 on wall A, centre at 58",
                    "pendant centred on room", "bookcase against wall D"});
}

Project toldOver(const Project& job, const std::string& line) {
    auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    return *apply(job, said->edit)->project;
}

const JobTask* taskCalled(const std::vector<JobTask>& all, std::string_view name) {
    for (const JobTask& t : all)
        if (t.task.name == name)
            return &t;
    return nullptr;
}

JobSchedule scheduleOf(const Project& job) {
    auto s = jobSchedule(job, first, first);
    if (!s)
        throw std::runtime_error(s.problem().text());
    return *s;
}

std::size_t at(const JobSchedule& s, std::string_view name) {
    for (std::size_t i = 0; i < s.tasks.size(); ++i)
        if (s.tasks[i].task.name == name)
            return i;
    throw std::runtime_error("no task " + std::string(name));
}

Project taking(const Project& job, const Result<TasksChange>& change) {
    if (!change)
        throw std::runtime_error(change.problem().text());
    return *apply(job, {"", {SetHandover{change->handover}}, {}})->project;
}

} // namespace

TEST(Tasks, AreThoseTheJobAsksFor) {
    const auto all = *jobTasks(roomToWorkIn());
    for (const char* there : {"wiring", "pendants", "furniture", "tape-out", "rugs", "hanging",
                              "tip-over fixing", "photographs"})
        EXPECT_NE(taskCalled(all, there), nullptr) << there;
    for (const char* none : {"carpet", "curtains", "dressing", "shelves", "paint"})
        EXPECT_EQ(taskCalled(all, none), nullptr) << none;
    const auto painted = *jobTasks(toldOver(roomToWorkIn(), "colour walls sage"));
    ASSERT_NE(taskCalled(painted, "paint"), nullptr);
    // 20 by 15 ft and 8 ft high, less a window and a door: about 47 m2, two coats.
    EXPECT_GT(taskCalled(painted, "paint")->task.days, 1);
    EXPECT_EQ(taskCalled(painted, "paint")->task.waitDays, 1);
    // A cord over heads is for an electrician, and it is said.
    EXPECT_FALSE(taskCalled(all, "wiring")->cautions.empty());
    EXPECT_TRUE(jobTasks(jobWith({}))->size() == 1); // photographs
}

TEST(Tasks, ComeAfterWhatTheyNeed) {
    const auto s = scheduleOf(toldOver(roomToWorkIn(), "colour walls sage"));
    for (std::size_t i = 0; i < s.tasks.size(); ++i)
        for (const std::size_t b : s.tasks[i].task.after)
            EXPECT_GE(s.times[i].start,
                      s.times[b].end + std::chrono::days(1 + s.tasks[b].task.waitDays));
    EXPECT_LT(s.times[at(s, "wiring")].end, s.times[at(s, "paint")].start);
    EXPECT_LT(s.times[at(s, "paint")].end, s.times[at(s, "furniture")].start);
    EXPECT_LT(s.times[at(s, "furniture")].end, s.times[at(s, "hanging")].start);
}

TEST(Tasks, AreSaid) {
    auto job = toldOver(jobWith({}), "task paint after wiring, 2 days, waits 1");
    const auto s = scheduleOf(job);
    const auto& paint = s.tasks[at(s, "paint")];
    EXPECT_EQ(paint.task.days, 2);
    EXPECT_EQ(paint.task.waitDays, 1);
    EXPECT_EQ(paint.afterNames, std::vector<std::string>{"wiring"});
    // Told that wiring is new: nothing in the job asked for it.
    const auto said = readLine("task paint after wiring, 2 days, waits 1", jobWith({}));
    ASSERT_EQ(said->edit.notices.size(), 1U);
    job = toldOver(job, "task paint by decorator, 12 hours, not before 2027-03-10");
    const auto again = scheduleOf(job);
    EXPECT_EQ(again.tasks[at(again, "paint")].task.trade, "decorator");
    EXPECT_EQ(again.tasks[at(again, "paint")].task.days, 2);
    EXPECT_EQ(isoDay(again.times[at(again, "paint")].start), "2027-03-10");
    EXPECT_EQ(taskCalled(*jobTasks(toldOver(job, "task paint left out")), "paint"), nullptr);
}

TEST(Tasks, InARingAreRefusedWithIt) {
    const auto job = toldOver(jobWith({}), "task paint after wiring");
    const auto p = refusal(job, "task wiring after paint");
    EXPECT_NE(p.what.find("paint"), std::string::npos);
    EXPECT_NE(p.what.find("wiring"), std::string::npos);
    EXPECT_NE(refusal(job, "task paint after paint").what, "");
    for (const char* line :
         {"task", "task paint, 2", "task paint waits soon", "task paint not before x",
          "task unheard-of left out", "holiday 2027-02-30", "holidays 2027-03-05 to 2027-03-01",
          "no work on someday",
          "no work on mondays, tuesdays, wednesdays, thursdays, fridays, "
          "saturdays and sundays"})
        EXPECT_NE(refusal(job, line).what, "") << line;
    // A lamp for a desk is no task.
    EXPECT_EQ(refusal(jobWith({"desk against wall A"}), "task light on desk").what.find("task,"),
              std::string::npos);
}

TEST(Tasks, WithALeadTimeAreOrderedFirst) {
    const auto job = toldOver(roomToWorkIn(), "list sofa chosen, lead 42 days, from Linden");
    const auto s = scheduleOf(job);
    const auto order = at(s, "order Sofa");
    EXPECT_EQ(s.tasks[order].task.waitDays, 42);
    EXPECT_GE(s.times[at(s, "furniture")].start, s.times[order].end + std::chrono::days(43));
    EXPECT_TRUE(s.times[order].critical);
    const auto ordered = scheduleOf(toldOver(job, "list sofa ordered 2027-02-20"));
    // Ordered on the 20th of February, it is there 42 days later, a Saturday: delivered on Monday.
    EXPECT_EQ(isoDay(ordered.times[at(ordered, "delivery of Sofa")].start), "2027-04-05");
}

TEST(Tasks, ComeBackFromACalendarUnchanged) {
    const auto job = toldOver(roomToWorkIn(), "colour walls sage");
    const auto s = scheduleOf(job);
    const auto text = tasksAsCalendar(s, job.title);
    EXPECT_EQ(text, tasksAsCalendar(scheduleOf(job), job.title));
    const auto same = withCalendar(job, s, text, "a.ics");
    ASSERT_TRUE(same) << same.problem().text();
    EXPECT_TRUE(same->told.empty());
    EXPECT_TRUE(same->handover.tasks.empty());
    const auto csv = withTasksCsv(job, s, tasksAsCsv(s), "a.csv");
    ASSERT_TRUE(csv) << csv.problem().text();
    EXPECT_TRUE(csv->told.empty());
    EXPECT_TRUE(csv->handover.tasks.empty());
}

TEST(Tasks, MovedInACalendarMoveThoseAfterThem) {
    const auto job = toldOver(roomToWorkIn(), "colour walls sage");
    const auto s = scheduleOf(job);
    auto text = tasksAsCalendar(s, job.title);
    // Wiring a week later, and a day longer.
    const std::string was = "DTSTART;VALUE=DATE:20270301\r\nDTEND;VALUE=DATE:20270302";
    const auto at0 = text.find(was);
    ASSERT_NE(at0, std::string::npos);
    text.replace(at0, was.size(), "DTSTART;VALUE=DATE:20270308\r\nDTEND;VALUE=DATE:20270310");
    const auto moved = taking(job, withCalendar(job, s, text, "a.ics"));
    const auto now = scheduleOf(moved);
    EXPECT_EQ(isoDay(now.times[at(now, "wiring")].start), "2027-03-08");
    EXPECT_EQ(isoDay(now.times[at(now, "wiring")].end), "2027-03-09");
    EXPECT_EQ(now.times[at(now, "paint")].start - s.times[at(s, "paint")].start,
              std::chrono::days(8));
    // And the same again is no change any more.
    const auto again = withCalendar(moved, now, tasksAsCalendar(now, moved.title), "a.ics");
    EXPECT_TRUE(again->told.empty());
}

TEST(Tasks, OfATableAreTakenWholeOrNotAtAll) {
    const auto job = roomToWorkIn();
    const auto s = scheduleOf(job);
    const auto next = taking(job, withTasksCsv(job, s,
                                               "name;days;wait_days;after\nwiring;3;;\n"
                                               "Varnish;2;1;wiring\n",
                                               "a.csv"));
    EXPECT_EQ(taskCalled(*jobTasks(next), "wiring")->task.days, 3);
    ASSERT_NE(taskCalled(*jobTasks(next), "Varnish"), nullptr);
    for (const char* bad :
         {"", "days\n3\n", "name,days\nwiring,none\n", "name,start\nwiring,soon\n",
          "name,start,end\nwiring,2027-03-05,2027-03-01\n", "name,after\nwiring,pendants\n",
          "name,colour\nwiring,red\n", "name,days\n,3\n"}) {
        const auto change = withTasksCsv(job, s, bad, "a.csv");
        EXPECT_FALSE(change) << bad;
        if (!change)
            EXPECT_EQ(change.problem().file, "a.csv");
    }
}

TEST(Tasks, ThatSlipAreTold) {
    const auto job = toldOver(roomToWorkIn(), "no work on mondays");
    const auto s = scheduleOf(job);
    EXPECT_EQ(isoDay(s.times[at(s, "wiring")].start), "2027-03-02");
    const auto with2 = toldOver(job, "holidays 2027-03-02 to 2027-03-03");
    const auto later = scheduleOf(with2);
    EXPECT_EQ(isoDay(later.times[at(later, "wiring")].start), "2027-03-04");
    const auto back = readJob(jobText(with2), "a", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ(*(*back)->handover, *with2.handover);
}
