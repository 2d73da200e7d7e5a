// Days of work: by hand on a calendar, and against a longest chain found another way.
#include "work/schedule.h"

#include "work/calendar_file.h"

#include <gtest/gtest.h>

#include <functional>
#include <random>

using namespace mezzet;

namespace {

Day day(const char* iso) {
    return *readDay(iso);
}

WorkTask task(const char* name, int days, std::vector<std::size_t> after = {}, int wait = 0,
              const char* trade = "") {
    WorkTask t;
    t.name = name;
    t.days = days;
    t.after = std::move(after);
    t.waitDays = wait;
    t.trade = trade;
    return t;
}

} // namespace

TEST(Days, AreReadAsISOHasThem) {
    EXPECT_EQ(isoDay(day("2028-02-29")), "2028-02-29");
    for (const char* none : {"2027-02-29", "2027-13-01", "2027-1-1", "27-01-01", "2027-00-10",
                             "2027-04-31", "2027/04/01", "", "2027-04-01x"})
        EXPECT_FALSE(readDay(none)) << none;
    EXPECT_EQ(weekdayOf(day("2027-03-01")), 0); // a Monday
    EXPECT_EQ(dayWords(day("2027-03-07")), "Sun 7 Mar 2027");
}

TEST(Schedule, ByHand) {
    // March 2027 begins on a Monday. Wiring Mon; paint Tue and Wed, then a day to dry (Thu), so
    // furniture comes Fri; it takes two days: Fri and Mon the 8th.
    const std::vector<WorkTask> tasks{task("wiring", 1), task("paint", 2, {0}, 1),
                                      task("furniture", 2, {1}), task("curtains", 1, {1})};
    const auto s = scheduled(tasks, {}, day("2027-03-01"));
    ASSERT_TRUE(s);
    EXPECT_EQ(isoDay((*s)[0].end), "2027-03-01");
    EXPECT_EQ(isoDay((*s)[1].start), "2027-03-02");
    EXPECT_EQ(isoDay((*s)[1].end), "2027-03-03");
    EXPECT_EQ(isoDay((*s)[2].start), "2027-03-05");
    EXPECT_EQ(isoDay((*s)[2].end), "2027-03-08");
    EXPECT_TRUE((*s)[0].critical && (*s)[1].critical && (*s)[2].critical);
    // Curtains on Friday; they may be hung on Monday as well.
    EXPECT_EQ(isoDay((*s)[3].start), "2027-03-05");
    EXPECT_EQ((*s)[3].slackDays, 1);
    EXPECT_FALSE((*s)[3].critical);
}

TEST(Schedule, AWaitOverAWeekendEndsOnMonday) {
    // Painted on Friday, two days to dry: Saturday and Sunday do.
    const auto s =
        scheduled({task("paint", 1, {}, 2), task("next", 1, {0})}, {}, day("2027-03-05"));
    EXPECT_EQ(isoDay((*s)[1].start), "2027-03-08");
    EXPECT_TRUE((*s)[0].critical);
}

TEST(Schedule, HolidaysAndWhoIsAwayAreNotWorked) {
    WorkCalendar c;
    c.holidays.push_back({day("2027-03-02"), day("2027-03-02")});
    c.away.push_back({"Painter", {day("2027-03-03"), day("2027-03-04")}});
    const auto s =
        scheduled({task("paint", 2, {}, 0, "painter"), task("wire", 2, {}, 0, "electrician")}, c,
                  day("2027-03-01"));
    EXPECT_EQ(isoDay((*s)[0].end), "2027-03-05"); // Mon, then Fri
    EXPECT_EQ(isoDay((*s)[1].end), "2027-03-03"); // Mon, then Wed
}

TEST(Schedule, RefusesARingAndNamesIt) {
    const auto s =
        scheduled({task("a", 1, {2}), task("b", 1, {0}), task("c", 1, {1})}, {}, day("2027-03-01"));
    ASSERT_FALSE(s);
    for (const char* name : {"a", "b", "c"})
        EXPECT_NE(s.problem().what.find(name), std::string::npos);
    EXPECT_FALSE(scheduled({task("a", 1, {0})}, {}, day("2027-03-01")));
}

TEST(Schedule, NeverEndsWhereNobodyWorks) {
    WorkCalendar c;
    c.worked.fill(false);
    EXPECT_FALSE(scheduled({task("a", 1)}, c, day("2027-03-01")));
    // Nor is anything planned for more than 20 years.
    EXPECT_TRUE(scheduled({task("a", 1000, {}, 1000)}, {}, day("2027-03-01")));
    WorkTask late = task("late", 1);
    late.notBefore = day("2190-01-01");
    EXPECT_FALSE(scheduled({late}, {}, day("2027-03-01")));
    std::vector<WorkTask> chain{task("a", 1000)};
    for (std::size_t i = 1; i < 20; ++i)
        chain.push_back(task("b", 1000, {i - 1}));
    EXPECT_FALSE(scheduled(chain, {}, day("2027-03-01")));
}

TEST(Schedule, AgreesWithTheLongestOfAllChains) {
    // With every day worked, the end is the start and the longest chain of days and waits, which is
    // found here by walking every chain.
    std::mt19937 random(3);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    WorkCalendar every;
    every.worked.fill(true);
    const Day from = day("2027-03-01");
    for (int trial = 0; trial < 200; ++trial) {
        std::vector<WorkTask> tasks;
        const int n = any(1, 12);
        for (int i = 0; i < n; ++i) {
            std::vector<std::size_t> after;
            for (int b = 0; b < i; ++b)
                if (any(0, 3) == 0)
                    after.push_back(static_cast<std::size_t>(b));
            tasks.push_back(task("t", any(1, 5), after, any(0, 2) == 0 ? any(1, 6) : 0));
        }
        std::function<int(std::size_t)> ends = [&](std::size_t i) {
            int first = 0;
            for (const std::size_t b : tasks[i].after)
                first = std::max(first, ends(b) + tasks[b].waitDays);
            return first + tasks[i].days;
        };
        int longest = 0;
        for (std::size_t i = 0; i < tasks.size(); ++i)
            longest = std::max(longest, ends(i));
        const auto s = scheduled(tasks, every, from);
        ASSERT_TRUE(s);
        Day end = from;
        for (std::size_t i = 0; i < tasks.size(); ++i) {
            EXPECT_EQ(((*s)[i].end - from).count() + 1, ends(i));
            end = std::max(end, (*s)[i].end);
            // Slack is what it may slip: with so much more it ends no later, with a day more it
            // does.
            for (const int more : {(*s)[i].slackDays, (*s)[i].slackDays + 1}) {
                auto slipped = tasks;
                slipped[i].days += more;
                const auto t = scheduled(slipped, every, from);
                Day last = from;
                for (const TimedTask& one : *t)
                    last = std::max(last, one.end);
                EXPECT_EQ(last > from + std::chrono::days(longest - 1), more > (*s)[i].slackDays);
            }
        }
        EXPECT_EQ((end - from).count() + 1, longest);
        EXPECT_TRUE(
            std::any_of(s->begin(), s->end(), [](const TimedTask& t) { return t.critical; }));
    }
}

TEST(Calendar, ComesBackAsItWent) {
    std::vector<CalendarTask> tasks(2);
    tasks[0] = {calendarId("paint"),
                "paint; and, dry",
                "painter",
                day("2027-03-01"),
                day("2027-03-02"),
                {},
                "two coats",
                true,
                false};
    tasks[1] = {calendarId("curtains"),
                "curtains",
                "installer",
                day("2027-03-05"),
                day("2027-03-05"),
                {"paint; and, dry"},
                "",
                false,
                false};
    const auto text = calendarText(tasks, "Lantern Row", day("2027-02-01"));
    EXPECT_EQ(text, calendarText(tasks, "Lantern Row", day("2027-02-01")));
    const auto back = readCalendar(text, "a.ics");
    ASSERT_TRUE(back) << back.problem().text();
    ASSERT_EQ(back->size(), 2U);
    for (std::size_t i = 0; i < 2; ++i) {
        EXPECT_EQ((*back)[i].name, tasks[i].name);
        EXPECT_EQ((*back)[i].id, tasks[i].id);
        EXPECT_EQ((*back)[i].start, tasks[i].start);
        EXPECT_EQ((*back)[i].end, tasks[i].end);
        EXPECT_EQ((*back)[i].after, tasks[i].after);
        EXPECT_EQ((*back)[i].trade, tasks[i].trade);
    }
}

TEST(Calendar, IsWrittenAsRFC5545HasIt) {
    // Lines end with CR LF and are at most 75 octets; a whole day's end is the day after it.
    std::vector<CalendarTask> tasks(1);
    tasks[0] = {calendarId("paint"),   "paint", "painter", day("2027-03-01"), day("2027-03-02"), {},
                std::string(300, 'x'), false,   false};
    const auto text = calendarText(tasks, "Lantern Row", day("2027-02-01"));
    EXPECT_NE(text.find("DTSTART;VALUE=DATE:20270301\r\n"), std::string::npos);
    EXPECT_NE(text.find("DTEND;VALUE=DATE:20270303\r\n"), std::string::npos);
    EXPECT_TRUE(text.starts_with("BEGIN:VCALENDAR\r\n"));
    EXPECT_TRUE(text.ends_with("END:VCALENDAR\r\n"));
    for (std::size_t at = 0; at < text.size();) {
        const auto end = text.find("\r\n", at);
        ASSERT_NE(end, std::string::npos);
        EXPECT_LE(end - at, 75U);
        at = end + 2;
    }
}

TEST(Calendar, OfOthersIsReadByItsDays) {
    const auto c =
        readCalendar("BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VEVENT\nUID:1\nSUMMARY:Paint\n"
                     "DTSTART:20270301T080000Z\nDTEND:20270302T160000Z\nEND:VEVENT\n"
                     "BEGIN:VEVENT\nUID:2\nSUMMARY:One day\nDTSTART;VALUE=DATE:20270304\n"
                     "STATUS:CANCELLED\nEND:VEVENT\nEND:VCALENDAR\n",
                     "a.ics");
    ASSERT_TRUE(c);
    EXPECT_EQ(isoDay((*c)[0].end), "2027-03-02");
    EXPECT_EQ(isoDay((*c)[1].end), "2027-03-04");
    EXPECT_TRUE((*c)[1].cancelled);
}

TEST(Calendar, ThatCantBeReadIsRefused) {
    for (const char* bad :
         {"", "x", "BEGIN:VCALENDAR", "BEGIN:VEVENT\nEND:VEVENT",
          "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:20270301\nEND:VEVENT\nEND:VCALENDAR",
          "BEGIN:VCALENDAR\nBEGIN:VEVENT\nSUMMARY:a\nEND:VEVENT\nEND:VCALENDAR",
          "BEGIN:VCALENDAR\nBEGIN:VEVENT\nSUMMARY:a\nDTSTART;VALUE=DATE:20270310\n"
          "DTEND;VALUE=DATE:20270301\nEND:VEVENT\nEND:VCALENDAR"}) {
        const auto c = readCalendar(bad, "a.ics");
        EXPECT_TRUE(!c || c->empty()) << bad;
        if (!c)
            EXPECT_EQ(c.problem().file, "a.ics");
    }
}
