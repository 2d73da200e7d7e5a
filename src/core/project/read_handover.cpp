// What is told of a job's handing over: the list, the order of work, what was built.
#include "measure/texts.h"
#include "project/job_fields.h"

namespace mezzet {

namespace {

constexpr std::size_t mostTrade = 80;
constexpr std::size_t mostLink = 2000;

Day readDayField(Fields& f, const char* key) {
    const auto day = readDay(f.text(key, 10, true));
    if (!day)
        f.fail(worded("“{}” is no day", key));
    return *day;
}

std::optional<Day> dayIfThere(Fields& f, const char* key) {
    return f.has(key) ? std::optional(readDayField(f, key)) : std::nullopt;
}

double readAmount(Fields& f, const char* key, double most) {
    const json& v = f.need(key);
    if (!v.is_number() || !(v.get<double>() >= 0 && v.get<double>() <= most))
        f.fail(worded("“{}” is no amount from 0 to {:g}", key, most));
    return v.get<double>();
}

DaySpan readSpan(const json& v, const Fields& f, const char* key) {
    if (!v.is_array() || v.size() != 2 || !v[0].is_string() || !v[1].is_string())
        f.fail(worded("“{}” holds what is not two days", key));
    const auto from = readDay(v[0].get<std::string>());
    const auto to = readDay(v[1].get<std::string>());
    if (!from || !to || *to < *from)
        f.fail(worded("“{}” holds what is not two days", key));
    return {*from, *to};
}

std::string readName(Fields& f) {
    auto name = tidyName(f.text("name", mostNameLength, true));
    if (plainWord(name).empty())
        f.fail("“name” is empty");
    return name;
}

ListEntry readEntry(const json& j, std::size_t n) {
    Fields f(j, fmt::format("“list”, entry {}", n));
    ListEntry e;
    e.name = readName(f);
    e.room = tidyName(f.text("room", mostNameLength, false));
    if (f.has("state")) {
        e.state = readItemState(f.text("state", 40, true));
        if (!e.state)
            f.fail("“state” is none that is known", "a newer Mezzet may have written it");
    }
    e.supplier = tidyName(f.text("supplier", mostReason, false));
    if (f.has("price"))
        e.price = readAmount(f, "price", mostMoney);
    if (f.has("quantity"))
        e.quantity = f.whole("quantity", 0, mostQuantity);
    if (f.has("leadDays"))
        e.leadDays = f.whole("leadDays", 0, mostTaskDays);
    e.ordered = dayIfThere(f, "ordered");
    e.due = dayIfThere(f, "due");
    e.zone = tidyName(f.text("zone", mostNameLength, false));
    e.note = tidyName(f.text("note", mostReason, false));
    e.link = tidyName(f.text("link", mostLink, false));
    e.picture = f.text("picture", mostNameLength, false);
    if (f.has("size")) {
        const json& all = f.list("size", 3);
        if (all.size() != 3)
            f.fail("“size” is not three sides");
        for (std::size_t i = 0; i < 3; ++i) {
            if (all[i].is_null())
                continue;
            if (!Fields::isNumber(all[i]) || all[i].get<double>() <= 0 ||
                all[i].get<double>() > 20000)
                f.fail("“size” holds no length of a thing");
            e.size.at(i) = Length::millimetres(all[i].get<double>());
        }
    }
    return e;
}

TaskTold readTask(const json& j, std::size_t n) {
    Fields f(j, fmt::format("“tasks”, task {}", n));
    TaskTold t;
    t.name = readName(f);
    if (f.has("trade"))
        t.trade = tidyName(f.text("trade", mostTrade, true));
    if (f.has("hours"))
        t.hours = readAmount(f, "hours", 24.0 * mostTaskDays);
    if (f.has("days"))
        t.days = f.whole("days", 1, mostTaskDays);
    if (f.has("waitDays"))
        t.waitDays = f.whole("waitDays", 0, mostTaskDays);
    if (f.has("after")) {
        t.after.emplace();
        for (const json& name : f.list("after", mostTasks)) {
            if (!name.is_string() || !isText(name.get_ref<const std::string&>()))
                f.fail("“after” holds what is no name");
            t.after->push_back(tidyName(name.get<std::string>()));
        }
    }
    t.notBefore = dayIfThere(f, "notBefore");
    t.leftOut = f.yes("leftOut");
    t.note = tidyName(f.text("note", mostReason, false));
    return t;
}

BuiltMark readBuilt(const json& j, std::size_t n) {
    Fields f(j, fmt::format("“built”, entry {}", n));
    BuiltMark b;
    b.what = f.word("what", builtWords);
    b.piece = tidyName(f.text("piece", mostNameLength, true));
    b.room = tidyName(f.text("room", mostNameLength, false));
    if (f.has("number"))
        b.number = f.whole("number", 1, 1000);
    b.other = tidyName(f.text("other", mostNameLength, false));
    b.built = Length::millimetres(f.number("built"));
    b.planned = Length::millimetres(f.number("planned"));
    b.day = readDayField(f, "day");
    return b;
}

} // namespace

Handover readHandover(const json& j) {
    Fields f(j, "“handover”");
    Handover h;
    const auto each = [&](const char* key, std::size_t most, auto&& take) {
        std::size_t n = 0;
        if (f.has(key))
            for (const json& one : f.list(key, most))
                take(one, ++n);
    };
    if (f.has("budget"))
        h.budget = readAmount(f, "budget", mostMoney);
    each("list", mostEntries,
         [&](const json& one, std::size_t n) { h.list.push_back(readEntry(one, n)); });
    each("tasks", mostTasks,
         [&](const json& one, std::size_t n) { h.tasks.push_back(readTask(one, n)); });
    h.from = dayIfThere(f, "from");
    if (f.has("worked")) {
        const json& days = f.list("worked", 7);
        if (days.size() != 7)
            f.fail("“worked” is not seven days");
        for (std::size_t i = 0; i < 7; ++i) {
            if (!days[i].is_boolean())
                f.fail("“worked” holds what is neither true nor false");
            h.calendar.worked.at(i) = days[i].get<bool>();
        }
    }
    each("holidays", mostHolidays, [&](const json& one, std::size_t) {
        h.calendar.holidays.push_back(readSpan(one, f, "holidays"));
    });
    each("away", mostHolidays, [&](const json& one, std::size_t n) {
        Fields a(one, fmt::format("“away”, entry {}", n));
        TradeAway away;
        away.trade = tidyName(a.text("trade", mostTrade, true));
        away.days = readSpan(a.need("days"), a, "days");
        h.calendar.away.push_back(std::move(away));
    });
    each("built", mostBuilt,
         [&](const json& one, std::size_t n) { h.built.push_back(readBuilt(one, n)); });
    return h;
}

} // namespace mezzet
