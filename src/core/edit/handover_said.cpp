// The lines that speak of the list and its budget, of tasks and of the days that are worked.
#include "edit/handover_said.h"

#include "edit/described.h"
#include "edit/handed_over.h"
#include "handover/tasks.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

class HandoverReader {
public:
    explicit HandoverReader(WordsReader& words) : in(words), job_(words.job()) {}

    std::optional<Edit> read() {
        if (!begins())
            return {};
        // "task lamp beside desk" is a lamp.
        for (const auto& k : job_.library.kit->kinds())
            if (isAhead(k->name) || std::any_of(k->also.begin(), k->also.end(),
                                                [&](const auto& w) { return isAhead(w); }))
                return {};
        now_ = handedOver(job_);
        return readVerb(*this, in, verbs());
    }

    static const std::vector<Verb<HandoverReader>>& verbs() {
        static const std::vector<Verb<HandoverReader>> all{
            {{{"budget"}, "how much money there is for the job", "budget 5000; budget none"},
             &HandoverReader::budget},
            {{{"list"},
              "what is known of a thing that is had or bought: its state (have, keep, to find, "
              "chosen, ordered, delivered, placed, returned, not wanted), from whom, at what "
              "price, how many, how long it takes; a name that is nowhere is a thing to buy",
              "list sofa ordered, from Linden Workshop, price 1200, lead 42 days; list cushion, 4 "
              "of them, 40 each, note in wool; list remove cushion"},
             &HandoverReader::list},
            {{{"task"},
              "what is to be done: after what, for how long, what must dry or come before the "
              "next, by whom, not before which day",
              "task paint after wiring, 2 days, waits 1; task upholstery by upholsterer, 12 hours, "
              "not before 2027-03-08; task photographs left out"},
             &HandoverReader::task},
            {{{"work from", "work begins", "work starts"},
              "the first day of work",
              "work from 2027-03-01"},
             &HandoverReader::from},
            {{{"work on"}, "days of the week that are worked", "work on saturdays"},
             &HandoverReader::workedOn},
            {{{"no work on"}, "days of the week that are not", "no work on mondays"},
             &HandoverReader::freeOn},
            {{{"holiday", "holidays"},
              "days on which nobody works",
              "holiday 2027-04-05; holidays 2027-12-24 to 2028-01-02; holidays none"},
             &HandoverReader::holiday},
            {{{"away"},
              "days on which somebody of a trade is not there",
              "away painter 2027-03-10 to 2027-03-12; away none"},
             &HandoverReader::away},
        };
        return all;
    }

private:
    /// Whether one of the verbs stands ahead.
    bool begins() {
        for (const auto& verb : verbs())
            for (const std::string_view begin : verb.said.begins)
                if (in.endOf(begin) > 0)
                    return true;
        return false;
    }
    /// Whether a kind's name of several words does.
    bool isAhead(std::string_view name) {
        return name.find(' ') != std::string_view::npos && in.endOf(foldCase(name)) > 0;
    }

    Edit told(std::string words) {
        in.nothingMore();
        Edit e;
        e.words = std::move(words);
        e.notices = std::move(notices_);
        e.acts.emplace_back(SetHandover{now_});
        return e;
    }

    double money(const char* what) {
        const std::size_t at = in.at();
        std::size_t n = 0;
        const auto rest = in.rest();
        while (n < rest.size() && ((rest[n] >= '0' && rest[n] <= '9') || rest[n] == '.' ||
                                   (rest[n] == ',' && n + 1 < rest.size() && rest[n + 1] >= '0' &&
                                    rest[n + 1] <= '9')))
            ++n;
        const auto v = readMoney(rest.substr(0, n));
        if (!v)
            in.failAhead(worded("{} is no amount of money", mezzet::told(what)),
                         "say it in figures, like 1200 or 49.50");
        in.goTo(at + n);
        return *v;
    }

    Edit budget() {
        in.take({"is", "of", ":"});
        if (in.take({"none", "off"})) {
            now_.budget.reset();
            return told(std::string(mezzet::told("no budget")));
        }
        now_.budget = money("a budget");
        return told(worded("a budget of {}", moneyText(*now_.budget)));
    }

    Day day() {
        const std::size_t at = in.at();
        const auto word = in.rest().substr(0, 10);
        const auto d = readDay(word);
        if (!d)
            in.fail(at, std::max<std::size_t>(1, in.word().size()), d.problem().what,
                    d.problem().remedy);
        in.goTo(at + 10);
        return *d;
    }

    DaySpan span() {
        DaySpan s;
        s.from = s.to = day();
        const std::size_t at = in.at();
        if (in.take({"to", "until", "till", "-"})) {
            s.to = day();
            if (s.to < s.from)
                in.fail(at, in.at() - at, "that is before the day it begins",
                        "say the earlier day first");
        }
        return s;
    }

    Edit from() {
        in.take({"on", "from"});
        now_.from = day();
        return told(worded("work begins on {}", dayWords(*now_.from)));
    }

    Edit workedOn() { return weekdays(true); }
    Edit freeOn() { return weekdays(false); }
    Edit weekdays(bool worked) {
        constexpr std::array<std::string_view, 7> names{
            "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"};
        std::vector<std::string> said;
        do {
            std::size_t i = 0;
            while (i < 7 && !in.take({std::string(names.at(i)) + "s", names.at(i)}))
                ++i;
            if (i == 7)
                in.failAhead("which day of the week?", "say it like: work on saturdays");
            now_.calendar.worked.at(i) = worked;
            said.push_back(std::string(names.at(i)) + "s");
        } while (in.comma() || in.take({"and"}));
        if (std::none_of(now_.calendar.worked.begin(), now_.calendar.worked.end(),
                         [](bool w) { return w; }))
            in.fail(0, in.text().size(), "then no day is worked", "leave one at the least");
        return told(worked ? worded("work on {}", listed(said))
                           : worded("no work on {}", listed(said)));
    }

    Edit holiday() {
        if (in.take({"none", "off"})) {
            now_.calendar.holidays.clear();
            return told(std::string(mezzet::told("no holidays")));
        }
        in.take({"on", "from"});
        std::vector<std::string> said;
        do {
            const DaySpan s = span();
            now_.calendar.holidays.push_back(s);
            said.push_back(s.from == s.to ? dayWords(s.from)
                                          : worded("{} to {}", dayWords(s.from), dayWords(s.to)));
        } while (in.comma() || in.take({"and"}));
        return told(worded("nobody works on {}", listed(said)));
    }

    Edit away() {
        if (in.take({"none", "off"})) {
            now_.calendar.away.clear();
            return told(std::string(mezzet::told("nobody is away")));
        }
        TradeAway a;
        const std::size_t at = in.at();
        while (!in.done() && !readDay(in.rest().substr(0, 10)) && in.endOf("from") == 0)
            in.word();
        a.trade = std::string(trimmed(in.since(at)));
        if (plainWord(a.trade).empty())
            in.failAhead("who is away?", "say it like: away painter 2027-03-10 to 2027-03-12");
        in.take({"from"});
        a.days = span();
        const auto words =
            worded("{} away {} to {}", a.trade, dayWords(a.days.from), dayWords(a.days.to));
        now_.calendar.away.push_back(std::move(a));
        return told(words);
    }

    bool stateAhead(std::optional<ItemState>* to) {
        for (std::size_t i = 0; i < itemStates; ++i) {
            const auto s = static_cast<ItemState>(i);
            const std::size_t end = in.endOf(itemStateName(s));
            in.offer(itemStateName(s));
            if (end == 0)
                continue;
            if (to != nullptr) {
                in.goTo(end);
                *to = s;
            }
            return true;
        }
        return false;
    }

    /// Text up to a comma.
    std::string text(const char* what) {
        const std::size_t at = in.at();
        while (!in.done() && !in.ahead().empty())
            in.word();
        auto s = tidyName(in.since(at));
        if (s.empty())
            in.failAhead(what, {});
        if (characterCount(s) > mostReason)
            in.fail(at, in.at() - at, "that is too long", "shorten it");
        return s;
    }

    int whole(const char* what, int most) {
        const std::size_t at = in.at();
        const double v = in.number(what);
        if (!(v >= 0 && v <= most) || v != std::floor(v))
            in.fail(at, in.at() - at, worded("that is no whole number up to {}", most),
                    "say it in figures");
        return static_cast<int>(v);
    }

    Edit list() {
        const bool removes = in.take({"remove", "forget"});
        in.article();
        const std::size_t at = in.at();
        ListEntry e;
        for (const ListEntry& known : now_.list)
            in.offer(known.name);
        if (const std::size_t end = in.nameEnd(); end > 0) {
            in.goTo(end);
        } else {
            while (!in.done() && !in.ahead().empty() && !(in.at() > at && stateAhead(nullptr)) &&
                   in.endOf("is") == 0)
                in.word();
        }
        e.name = tidyName(in.since(at));
        if (plainWord(e.name).empty())
            in.failAhead("which thing?", "say it like: list sofa ordered, price 1200");
        if (characterCount(e.name) > mostNameLength)
            in.fail(at, in.at() - at, "the name is too long",
                    worded("use at most {} characters", mostNameLength));
        if (removes) {
            const auto before = now_.list.size();
            std::erase_if(now_.list, [&](const ListEntry& one) {
                return plainWord(one.name) == plainWord(e.name);
            });
            if (now_.list.size() == before)
                in.fail(at, in.at() - at, worded("“{}” is not on the list", e.name),
                        "name a thing that something was told of");
            return told(worded("nothing more told of {} on the list", e.name));
        }
        while (!in.done()) {
            if (in.comma() || in.take({"and", "is", "are", "it is"}))
                continue;
            if (stateAhead(&e.state)) {
                if (e.state == ItemState::ordered && !in.done() && readDay(in.rest().substr(0, 10)))
                    e.ordered = day();
            } else if (in.take({"from", "by", "supplier"})) {
                e.supplier = text("from whom?");
            } else if (in.take({"price", "costs", "cost", "at"})) {
                e.price = money("the price");
                in.take({"each", "apiece"});
            } else if (in.take({"quantity", "count"})) {
                e.quantity = whole("the quantity", mostQuantity);
            } else if (in.take({"lead time", "lead", "takes"})) {
                const std::size_t figure = in.at();
                int days = whole("the lead time", mostTaskDays);
                if (in.take({"weeks", "week"}))
                    days *= 7;
                else
                    in.take({"days", "day"});
                if (days > mostTaskDays)
                    in.fail(figure, in.at() - figure, "that is too long",
                            worded("say at most {} days", mostTaskDays));
                e.leadDays = days;
            } else if (in.take({"due", "comes"})) {
                in.take({"on"});
                e.due = day();
            } else if (in.take({"note"})) {
                e.note = text("what is to be noted?");
            } else if (in.take({"link"})) {
                e.link = text("which link?");
            } else if (in.take({"in zone", "zone"})) {
                e.zone = text("which zone?");
            } else if (in.take({"for room", "in room", "room"})) {
                e.room = text("which room?");
            } else if (in.take({"size"})) {
                const auto size = readBareSize(in);
                if (!size)
                    in.failAhead("how large is it?", "say it like: size 20 x 20 x 6");
                e.size = {size->width, size->depth, size->height};
            } else if (in.lengthAhead()) {
                const std::size_t figure = in.at();
                const double v = money("the price");
                if (in.take({"each", "apiece"})) {
                    e.price = v;
                } else if (in.take({"of them", "of it", "of these", "pieces"}) &&
                           v == std::floor(v) && v <= mostQuantity) {
                    e.quantity = static_cast<int>(v);
                } else if (in.take({"days", "weeks", "day", "week"})) {
                    in.fail(figure, in.at() - figure, "what takes that long?",
                            "say it like: lead 42 days");
                } else {
                    in.fail(figure, in.at() - figure, "is that a price, or how many?",
                            "say it like: price 1200, or 4 of them");
                }
            } else {
                in.failAhead(
                    "that is nothing a list tells",
                    "say a state, from …, price …, 4 of them, lead 42 days, due …, note …");
            }
        }
        return listEdit(job_, withEntries(job_, {e}), worded("{} on the list", e.name));
    }

    /// Whether a clause of a task begins here.
    bool taskClauseAhead() {
        for (const std::string_view w : {"after", "by", "not before", "waits", "wait", "takes",
                                         "note", "left out", "out", "removed", "from", "is", ":"})
            if (in.endOf(w) > 0)
                return true;
        const std::size_t at = in.at();
        bool counted = false;
        if (const auto a = in.ahead(); !a.empty() && a[0] >= '0' && a[0] <= '9') {
            in.word();
            counted = in.endOf("days") > 0 || in.endOf("day") > 0 || in.endOf("hours") > 0 ||
                      in.endOf("hour") > 0;
            in.goTo(at);
        }
        return counted;
    }

    std::string taskName(const char* what) {
        const std::size_t at = in.at();
        in.article();
        const std::size_t start = in.at();
        while (!in.done() && !in.ahead().empty() && !(in.at() > start && taskClauseAhead()) &&
               in.endOf("and") == 0)
            in.word();
        auto name = tidyName(in.since(start));
        if (plainWord(name).empty())
            in.failAhead(what, "say it like: task paint after wiring, 2 days, waits 1");
        if (characterCount(name) > mostNameLength)
            in.fail(at, in.at() - at, "the name is too long",
                    worded("use at most {} characters", mostNameLength));
        return name;
    }

    Edit task() {
        std::vector<JobTask> known;
        if (const auto all = jobTasks(job_))
            known = *all;
        for (const JobTask& t : known)
            in.offer(t.task.name);
        const bool removes = in.take({"remove", "forget"});
        const auto name = taskName("which task?");
        TaskTold t;
        t.name = name;
        for (const JobTask& k : known)
            if (foldCase(k.task.name) == foldCase(name))
                t.name = k.task.name;
        if (const TaskTold* there = now_.task(name))
            t = *there;
        t.leftOut = false;
        const bool own = std::none_of(known.begin(), known.end(), [&](const JobTask& k) {
            return foldCase(k.task.name) == foldCase(name) && !k.own;
        });
        if (removes || in.take({"is left out", "left out", "out", "is removed", "removed"})) {
            if (own) {
                const auto before = now_.tasks.size();
                std::erase_if(now_.tasks, [&](const TaskTold& one) {
                    return foldCase(one.name) == foldCase(name);
                });
                if (now_.tasks.size() == before)
                    in.fail(0, in.text().size(), worded("there is no task “{}”", name),
                            "name one that is there");
            } else {
                t = TaskTold{};
                t.name = name;
                t.leftOut = true;
                keep(t);
            }
            return told(worded("{} is left out", name));
        }
        bool any = own;
        while (!in.done()) {
            if (in.comma() || in.take({"and", "is", ":"}))
                continue;
            any = true;
            if (in.take({"after"})) {
                t.after.emplace();
                if (in.take({"nothing", "none"}))
                    continue;
                do {
                    auto before = taskName("after which task?");
                    for (const JobTask& k : known)
                        if (foldCase(k.task.name) == foldCase(before))
                            before = k.task.name;
                    t.after->push_back(std::move(before));
                } while (in.take({"and"}));
            } else if (in.take({"waits", "wait", "then waits"})) {
                t.waitDays = whole("the wait", mostTaskDays);
                in.take({"days", "day"});
            } else if (in.take({"by"})) {
                in.take({"the"});
                t.trade = text("by whom?");
            } else if (in.take({"not before", "from"})) {
                t.notBefore = day();
            } else if (in.take({"note"})) {
                t.note = text("what is to be noted?");
            } else {
                in.take({"takes"});
                const std::size_t at = in.at();
                const double n = in.number("how long it takes");
                if (in.take({"hours", "hour", "h"})) {
                    if (!(n > 0 && n <= 24.0 * mostTaskDays))
                        in.fail(at, in.at() - at, "no task takes that long", "say it in hours");
                    t.hours = n;
                    t.days.reset();
                } else if (in.take({"days", "day"})) {
                    if (!(n >= 1 && n <= mostTaskDays) || n != std::floor(n))
                        in.fail(at, in.at() - at, "a task takes whole days",
                                "say it like: 2 days; or in hours");
                    t.days = static_cast<int>(n);
                    t.hours.reset();
                } else {
                    in.failAhead("days or hours?", "say it like: 2 days");
                }
            }
        }
        if (!any)
            in.fail(0, in.text().size(), worded("{} is there already", name),
                    "say after what, for how long, by whom");
        keep(t);
        for (const std::string& fresh : withThoseBefore(job_, now_))
            notices_.push_back(worded("{} is a new task: nothing in the job asked for it", fresh));
        if (auto wrong = wrongTasks(job_, now_))
            in.fail(0, in.text().size(), wrong->what, wrong->remedy);
        return told(worded("task {}", name));
    }

    void keep(const TaskTold& t) {
        if (TaskTold* there = now_.task(t.name))
            *there = t;
        else
            now_.tasks.push_back(t);
    }

    WordsReader& in;
    const Project& job_;
    Handover now_;
    std::vector<std::string> notices_;
};

} // namespace

std::vector<VerbHelp> handoverVerbs() {
    return helpOf(HandoverReader::verbs());
}

std::optional<Edit> readHandingOver(WordsReader& in) {
    return HandoverReader(in).read();
}

} // namespace mezzet
