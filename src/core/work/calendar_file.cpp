#include "work/calendar_file.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <libical/ical.h>

#include <algorithm>
#include <map>
#include <memory>

namespace mezzet {

namespace {

struct FreeComponent {
    void operator()(icalcomponent* c) const { icalcomponent_free(c); }
};
using Component = std::unique_ptr<icalcomponent, FreeComponent>;

icaltimetype icalDay(Day d) {
    const std::chrono::year_month_day day{d};
    icaltimetype t = icaltime_null_date();
    t.year = static_cast<int>(day.year());
    t.month = static_cast<int>(static_cast<unsigned>(day.month()));
    t.day = static_cast<int>(static_cast<unsigned>(day.day()));
    return t;
}

std::optional<Day> dayOf(const icaltimetype& t) {
    const auto day = readDay(fmt::format("{:04}-{:02}-{:02}", t.year, t.month, t.day));
    if (icaltime_is_null_time(t) != 0 || !day)
        return {};
    return *day;
}

std::string plainText(const char* s) {
    return s == nullptr || !isText(s) ? std::string() : tidyName(s);
}

} // namespace

std::string calendarId(std::string_view name) {
    std::string id;
    for (const char c : foldCase(name)) {
        const auto u = static_cast<unsigned char>(c);
        if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9'))
            id += c;
        else if (u >= 0x80)
            id += fmt::format("{:02x}", u);
        else if (!id.empty() && id.back() != '-')
            id += '-';
    }
    return id + "@mezzet";
}

std::string calendarText(const std::vector<CalendarTask>& tasks, std::string_view title,
                         Day stamp) {
    const Component all(icalcomponent_new(ICAL_VCALENDAR_COMPONENT));
    const auto add = [](icalcomponent* c, icalproperty* p) { icalcomponent_add_property(c, p); };
    add(all.get(), icalproperty_new_version("2.0"));
    add(all.get(), icalproperty_new_prodid("-//Mezzet//Order of work//EN"));
    add(all.get(), icalproperty_new_calscale("GREGORIAN"));
    icalproperty* named = icalproperty_new_x(std::string(title).c_str());
    icalproperty_set_x_name(named, "X-WR-CALNAME");
    add(all.get(), named);
    icaltimetype at = icalDay(stamp);
    at.is_date = 0;
    at.zone = icaltimezone_get_utc_timezone();
    std::map<std::string, std::string> ids;
    for (const CalendarTask& t : tasks)
        ids[foldCase(t.name)] = t.id;
    for (const CalendarTask& t : tasks) {
        icalcomponent* e = icalcomponent_new(ICAL_VEVENT_COMPONENT);
        add(e, icalproperty_new_uid(t.id.c_str()));
        add(e, icalproperty_new_dtstamp(at));
        add(e, icalproperty_new_dtstart(icalDay(t.start)));
        add(e, icalproperty_new_dtend(icalDay(t.end + std::chrono::days(1))));
        add(e, icalproperty_new_summary(t.name.c_str()));
        if (!t.trade.empty())
            add(e, icalproperty_new_categories(t.trade.c_str()));
        if (!t.note.empty())
            add(e, icalproperty_new_description(t.note.c_str()));
        add(e, icalproperty_new_transp(ICAL_TRANSP_TRANSPARENT));
        if (t.critical)
            add(e, icalproperty_new_priority(1));
        for (const std::string& before : t.after) {
            const auto id = ids.find(foldCase(before));
            if (id == ids.end())
                continue;
            icalproperty* p = icalproperty_new_relatedto(id->second.c_str());
            icalparameter* kind = icalparameter_new_reltype(ICAL_RELTYPE_X);
            icalparameter_set_xvalue(kind, "DEPENDS-ON");
            icalproperty_add_parameter(p, kind);
            add(e, p);
        }
        icalcomponent_add_component(all.get(), e);
    }
    char* text = icalcomponent_as_ical_string_r(all.get());
    std::string out = text == nullptr ? "" : text;
    icalmemory_free_buffer(text);
    return out;
}

Result<std::vector<CalendarTask>> readCalendar(std::string_view text, std::string_view file) {
    const auto fault = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        return p;
    };
    const auto none = [&] {
        return fault(std::string(told("it is no calendar that can be read")),
                     std::string(told("write one as iCalendar (.ics)")));
    };
    if (text.size() > mostCalendarBytes)
        return fault(std::string(told("it is too large for a calendar of work")),
                     std::string(told("write only the tasks")));
    if (!isText(text) || text.find('\0') != std::string_view::npos ||
        text.find("BEGIN:VCALENDAR") == std::string_view::npos)
        return none();
    const Component all(icalparser_parse_string(std::string(text).c_str()));
    if (!all)
        return none();
    std::vector<CalendarTask> tasks;
    std::vector<std::vector<std::string>> before;
    std::map<std::string, std::string> names;
    std::vector<icalcomponent*> calendars;
    if (icalcomponent_isa(all.get()) == ICAL_VCALENDAR_COMPONENT)
        calendars.push_back(all.get());
    for (icalcomponent* c = icalcomponent_get_first_component(all.get(), ICAL_VCALENDAR_COMPONENT);
         c != nullptr; c = icalcomponent_get_next_component(all.get(), ICAL_VCALENDAR_COMPONENT))
        calendars.push_back(c);
    if (calendars.empty())
        return none();
    for (icalcomponent* calendar : calendars)
        for (icalcomponent* e = icalcomponent_get_first_component(calendar, ICAL_VEVENT_COMPONENT);
             e != nullptr; e = icalcomponent_get_next_component(calendar, ICAL_VEVENT_COMPONENT)) {
            if (tasks.size() == mostTasks)
                return fault(worded("it holds more than {} tasks", mostTasks),
                             std::string(told("write only the tasks")));
            CalendarTask t;
            t.id = plainText(icalcomponent_get_uid(e));
            t.name = plainText(icalcomponent_get_summary(e));
            if (t.name.empty() || characterCount(t.name) > 80)
                return fault(worded("event {} has no name of 1 to 80 characters", tasks.size() + 1),
                             std::string(told("give it a summary")));
            t.note = plainText(icalcomponent_get_description(e));
            const icaltimetype start = icalcomponent_get_dtstart(e);
            const auto from = dayOf(start);
            if (!from)
                return fault(worded("“{}” begins on no day", t.name),
                             std::string(told("give it a day, like 20270301")));
            t.start = *from;
            t.end = *from;
            icaltimetype end = icalcomponent_get_dtend(e);
            if (icaltime_is_null_time(end) == 0) {
                auto to = dayOf(end);
                if (!to)
                    return fault(worded("“{}” ends on no day", t.name),
                                 std::string(told("give it a day, like 20270301")));
                // A whole day's end is the day after it; a time's, the day it is on.
                if (end.is_date != 0 ||
                    (end.hour == 0 && end.minute == 0 && end.second == 0 && *to > t.start))
                    *to -= std::chrono::days(1);
                if (end.is_date != 0 && *to == t.start - std::chrono::days(1))
                    *to = t.start;
                t.end = *to;
            }
            if (t.end < t.start)
                return fault(worded("“{}” ends before it begins", t.name),
                             std::string(told("let it end on its last day, or later")));
            if ((t.end - t.start).count() > 5 * mostTaskDays)
                return fault(worded("“{}” takes {} days", t.name, (t.end - t.start).count()),
                             std::string(told("make it shorter")));
            t.cancelled = icalcomponent_get_status(e) == ICAL_STATUS_CANCELLED;
            auto& waits = before.emplace_back();
            for (icalproperty* p = icalcomponent_get_first_property(e, ICAL_RELATEDTO_PROPERTY);
                 p != nullptr; p = icalcomponent_get_next_property(e, ICAL_RELATEDTO_PROPERTY)) {
                icalparameter* kind = icalproperty_get_first_parameter(p, ICAL_RELTYPE_PARAMETER);
                const char* word = kind == nullptr ? nullptr : icalparameter_get_xvalue(kind);
                if (word != nullptr && foldCase(word) == "depends-on")
                    waits.push_back(plainText(icalproperty_get_relatedto(p)));
            }
            if (icalproperty* p = icalcomponent_get_first_property(e, ICAL_CATEGORIES_PROPERTY))
                t.trade = plainText(icalproperty_get_categories(p));
            names[t.id] = t.name;
            tasks.push_back(std::move(t));
        }
    for (std::size_t i = 0; i < tasks.size(); ++i)
        for (const std::string& id : before[i])
            if (const auto it = names.find(id); it != names.end())
                tasks[i].after.push_back(it->second);
    return tasks;
}

} // namespace mezzet
