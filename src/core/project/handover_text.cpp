// What is told of a job's handing over, as its file has it.
#include "project/dressing_text.h"
#include "project/job_words.h"

namespace mezzet {

namespace {

using HandoverJson = nlohmann::ordered_json;

HandoverJson spanJson(const DaySpan& d) {
    return {isoDay(d.from), isoDay(d.to)};
}

HandoverJson entryJson(const ListEntry& e) {
    HandoverJson j{{"name", e.name}};
    const auto text = [&](const char* key, const std::string& s) {
        if (!s.empty())
            j[key] = s;
    };
    text("room", e.room);
    if (e.state)
        j["state"] = itemStateName(*e.state);
    text("supplier", e.supplier);
    if (e.price)
        j["price"] = *e.price;
    if (e.quantity)
        j["quantity"] = *e.quantity;
    if (e.leadDays)
        j["leadDays"] = *e.leadDays;
    if (e.ordered)
        j["ordered"] = isoDay(*e.ordered);
    if (e.due)
        j["due"] = isoDay(*e.due);
    text("zone", e.zone);
    text("note", e.note);
    text("link", e.link);
    text("picture", e.picture);
    if (e.size != ListEntry{}.size) {
        j["size"] = HandoverJson::array();
        for (const auto& side : e.size)
            j["size"].push_back(side ? HandoverJson(side->mm()) : HandoverJson(nullptr));
    }
    return j;
}

HandoverJson taskJson(const TaskTold& t) {
    HandoverJson j{{"name", t.name}};
    if (t.trade)
        j["trade"] = *t.trade;
    if (t.hours)
        j["hours"] = *t.hours;
    if (t.days)
        j["days"] = *t.days;
    if (t.waitDays)
        j["waitDays"] = *t.waitDays;
    if (t.after)
        j["after"] = *t.after;
    if (t.notBefore)
        j["notBefore"] = isoDay(*t.notBefore);
    if (t.leftOut)
        j["leftOut"] = true;
    if (!t.note.empty())
        j["note"] = t.note;
    return j;
}

HandoverJson builtJson(const BuiltMark& b) {
    HandoverJson j{{"what", wordFor(builtWords, b.what)}, {"piece", b.piece}};
    if (!b.room.empty())
        j["room"] = b.room;
    if (b.number != 1)
        j["number"] = b.number;
    if (!b.other.empty())
        j["other"] = b.other;
    j["built"] = b.built.mm();
    j["planned"] = b.planned.mm();
    j["day"] = isoDay(b.day);
    return j;
}

} // namespace

HandoverJson jsonOf(const Handover& h) {
    HandoverJson j = HandoverJson::object();
    const auto list = [&](const char* key, const auto& all, auto one) {
        if (all.empty())
            return;
        j[key] = HandoverJson::array();
        for (const auto& v : all)
            j[key].push_back(one(v));
    };
    if (h.budget)
        j["budget"] = *h.budget;
    list("list", h.list, entryJson);
    list("tasks", h.tasks, taskJson);
    if (h.from)
        j["from"] = isoDay(*h.from);
    if (h.calendar.worked != WorkCalendar{}.worked)
        j["worked"] = h.calendar.worked;
    list("holidays", h.calendar.holidays, spanJson);
    list("away", h.calendar.away, [](const TradeAway& a) {
        return HandoverJson{{"trade", a.trade}, {"days", spanJson(a.days)}};
    });
    list("built", h.built, builtJson);
    return j;
}

} // namespace mezzet
