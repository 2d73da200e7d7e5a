// What leaves the desk and what comes back: the list, the order of work, tape-out, boards, and what
// was built.
#include "tell.h"
#include "commands.h"
#include "offscreen.h"
#include "shared.h"

#include "edit/handed_over.h"
#include "handover/tape_out.h"
#include "handover/tasks.h"
#include "measure/texts.h"
#include "sheets/book.h"
#include "site/built.h"
#include "work/boards.h"
#include "work/calendar_file.h"

namespace mezzet::cli {

namespace {

constexpr std::size_t mostTable = std::size_t{16} * 1024 * 1024;

json orNull(const std::string& s) {
    return s.empty() ? json(nullptr) : json(s);
}

json dayJson(const std::optional<Day>& d) {
    return d ? json(isoDay(*d)) : json(nullptr);
}

/// The job kept for a command that writes it, if it does, and read.
struct KeptJob {
    std::optional<JobLock> lock;
    ProjectPtr job;
};

Result<KeptJob> keptJob(const std::string& path, const std::string& room, const char* command,
                        bool writes) {
    KeptJob out;
    std::error_code error;
    if (writes && std::filesystem::exists(path, error)) {
        auto lock = keepJob(path, command);
        if (!lock)
            return lock.problem();
        out.lock.emplace(std::move(*lock));
    }
    auto job = open(path, room);
    if (!job)
        return job.problem();
    out.job = *job;
    return out;
}

json itemJson(const ListItem& i) {
    json size = json::array();
    for (const auto& side : i.size)
        size.push_back(side ? json(tidied(side->mm())) : json(nullptr));
    return {{"name", i.name},
            {"state", std::string(itemStateName(i.state))},
            {"supplier", orNull(i.supplier)},
            {"price", i.price ? json(*i.price) : json(nullptr)},
            {"quantity", i.quantity},
            {"lead_days", i.leadDays ? json(*i.leadDays) : json(nullptr)},
            {"room", orNull(i.room)},
            {"zone", orNull(i.zone)},
            {"kind", i.kind ? json(foldCase(i.kind->name)) : json(nullptr)},
            {"size_mm", size},
            {"ordered", dayJson(i.ordered)},
            {"due", dayJson(i.due)},
            {"note", orNull(i.note)},
            {"link", orNull(i.link)},
            {"picture", orNull(i.picture)},
            {"placed", i.piece != 0}};
}

json taskJson(const JobTask& t, const TimedTask& at) {
    return {{"name", t.task.name},
            {"trade", t.task.trade},
            {"hours", t.task.hours},
            {"days", t.task.days},
            {"wait_days", t.task.waitDays},
            {"after", t.afterNames},
            {"start", isoDay(at.start)},
            {"end", isoDay(at.end)},
            {"slack_days", at.slackDays},
            {"critical", at.critical},
            {"not_before", dayJson(t.task.notBefore)},
            {"cautions", t.cautions},
            {"at_hand", t.atHand},
            {"note", orNull(t.note)}};
}

void printTasks(const JobSchedule& s) {
    for (const std::size_t i : inOrderOfDays(s)) {
        const JobTask& t = s.tasks[i];
        const TimedTask& at = s.times[i];
        const std::string slack = at.critical         ? std::string(told("on the longest chain"))
                                  : at.slackDays == 1 ? worded("may slip by {} day", at.slackDays)
                                                      : worded("may slip by {} days", at.slackDays);
        tell("{:<24} {:<14} {} to {}  {}{}\n", t.task.name, t.task.trade, dayWords(at.start),
             dayWords(at.end), slack,
             t.task.waitDays == 1  ? std::string(told(", then waits a day"))
             : t.task.waitDays > 1 ? worded(", then waits {} days", t.task.waitDays)
                                   : std::string());
        if (!t.afterNames.empty())
            tell("{:<24} after {}\n", "", listed(t.afterNames));
        if (!t.atHand.empty())
            tell("{:<24} at hand: {}\n", "", listed(t.atHand));
        for (const std::string& c : t.cautions)
            fmt::print("{:<24} ! {}\n", "", c);
    }
    tell("from {} to {}; hours and days are estimates by common practice, where none were "
         "said\n",
         dayWords(s.from), dayWords(s.end));
}

/// Tells which tasks come to lie on other days, on standard error.
void tellMoved(const JobSchedule& was, const JobSchedule& is) {
    for (const MovedTask& m : movedBetween(was, is))
        tell(stderr, "{} now begins on {}, not on {}\n", m.name, dayWords(m.is), dayWords(m.was));
    if (was.end != is.end)
        tell(stderr, "all is done on {}, not on {}\n", dayWords(is.end), dayWords(was.end));
}

json fromJson(const TapeFrom& f, const Room& room) {
    return {{"mark", f.mark},
            {"at", f.at ? point(*f.at) : json(nullptr)},
            {"wall",
             f.wall ? json(room.walls.at(static_cast<std::size_t>(*f.wall)).name) : json(nullptr)},
            {"length_mm", tidied(f.length.mm())}};
}

json builtJson(const BuiltCheck& c) {
    return {{"name", c.mark.piece},
            {"what", c.what},
            {"planned_mm", tidied(c.mark.planned.mm())},
            {"built_mm", tidied(c.mark.built.mm())},
            {"matters", c.matters},
            {"why", c.why}};
}

/// "1200 x 200", or several alike: "3 of 1200 x 200".
Result<std::vector<BoardSize>> boardsSaid(const std::string& said, std::size_t number) {
    const Problem none{fmt::format("board {}, “{}”, is no size", number, shownPlainly(said)),
                       "write length x width, like \"1200 x 200\", or \"3 of 1200 x 200\""};
    std::string_view text = trimmed(said);
    std::size_t count = 1;
    if (const auto of = text.find(" of "); of != std::string_view::npos) {
        const auto n = std::string(trimmed(text.substr(0, of)));
        if (n.empty() || n.size() > 4 || n.find_first_not_of("0123456789") != std::string::npos ||
            std::stoul(n) == 0 || std::stoul(n) > mostBoards)
            return none;
        count = std::stoul(n);
        text = text.substr(of + 4);
    }
    auto x = text.find_first_of("xX");
    std::size_t sign = 1;
    if (x == std::string_view::npos) {
        x = text.find("×");
        sign = 2;
    }
    if (x == std::string_view::npos)
        return none;
    const auto along = readLength(trimmed(text.substr(0, x)), Units::millimetres);
    const auto across = readLength(trimmed(text.substr(x + sign)), Units::millimetres);
    if (!along || !across || *along <= Length{} || *across <= Length{})
        return none;
    return std::vector<BoardSize>(count, BoardSize{*along, *across});
}

} // namespace

int list(const ListCommand& c) {
    if (c.asCsv && c.asJson)
        return wrong("--csv or --json, not both");
    auto kept = keptJob(c.job, {}, "list", !c.read.empty());
    if (!kept)
        return refuse(kept.problem());
    ProjectPtr job = kept->job;
    if (!c.read.empty()) {
        const auto text = readTextFile(c.read, mostTable);
        if (!text)
            return refuse(text.problem());
        const auto change = listFromCsv(*text, c.read, *job);
        if (!change)
            return refuse(change.problem());
        const auto next = apply(*job, listEdit(*job, *change, "the list"));
        if (!next)
            return refuse(next.problem());
        job = next->project;
        if (auto saved = saveJob(*job, c.job); !saved)
            return refuse(saved.problem());
        for (const auto& n : next->notices)
            fmt::print(c.asCsv || c.asJson ? stderr : stdout, "{}\n", n);
    }
    const auto items = jobList(*job);
    const ListTotals totals = totalsOf(items);
    const auto& told = handedOver(*job);
    const bool hasBudget = told.budget.has_value();
    const double budget = told.budget.value_or(0);
    if (c.asCsv) {
        fmt::print("{}", listAsCsv(items));
        return ran;
    }
    if (c.asJson) {
        json out{{"items", json::array()}};
        for (const ListItem& i : items)
            out["items"].push_back(itemJson(i));
        out["total"] = tidied(totals.all);
        out["budget"] = hasBudget ? json(budget) : json(nullptr);
        out["left"] = hasBudget ? json(tidied(budget - totals.all)) : json(nullptr);
        out["unpriced"] = totals.unpriced;
        out["by_state"] = json::object();
        for (const auto& [state, sum] : totals.byState)
            out["by_state"][std::string(itemStateName(state))] = tidied(sum);
        out["by_room"] = json::object();
        for (const auto& [room, sum] : totals.byRoom)
            out["by_room"][room] = tidied(sum);
        out["by_zone"] = json::object();
        for (const auto& [zone, sum] : totals.byZone)
            out["by_zone"][zone] = tidied(sum);
        fmt::print("{}\n", out.dump(1));
        return ran;
    }
    for (const ListItem& i : items)
        fmt::print("{:<28} {:<11} {:>4} x {:>9}  {:<18} {}\n", i.name, itemStateName(i.state),
                   i.quantity, i.price ? moneyText(*i.price) : "-", i.supplier,
                   i.leadDays ? fmt::format("{} days", *i.leadDays) : "");
    tell("total {}", moneyText(totals.all));
    if (totals.unpriced > 0)
        tell(", {} without a price", totals.unpriced);
    if (hasBudget)
        tell("; budget {}, {} {}", moneyText(budget), moneyText(std::abs(budget - totals.all)),
             totals.all <= budget ? "left" : "over");
    fmt::print("\n");
    return ran;
}

int order(const OrderCommand& c) {
    if (static_cast<int>(c.asIcs) + static_cast<int>(c.asCsv) + static_cast<int>(c.asJson) > 1)
        return wrong("one of --ics, --csv and --json");
    std::optional<Day> from;
    if (!c.from.empty()) {
        const auto d = readDay(c.from);
        if (!d)
            return wrong("--from: " + d.problem().text());
        from = *d;
    }
    if (!c.read.empty() && !endsAs(c.read, {".ics", ".csv"}))
        return wrongUsage;
    auto kept = keptJob(c.job, {}, "order", !c.read.empty());
    if (!kept)
        return refuse(kept.problem());
    ProjectPtr job = kept->job;
    auto now = jobSchedule(*job, from, today());
    if (!now)
        return refuse(now.problem());
    if (!c.read.empty()) {
        const auto text = readTextFile(c.read, mostCalendarBytes);
        if (!text)
            return refuse(text.problem());
        const bool calendar =
            foldCase(std::filesystem::path(c.read).extension().string()) == ".ics";
        auto change = calendar ? withCalendar(*job, *now, *text, c.read)
                               : withTasksCsv(*job, *now, *text, c.read);
        if (!change)
            return refuse(change.problem());
        const auto next = apply(*job, {"the order of work", {SetHandover{change->handover}}, {}});
        if (!next)
            return refuse(next.problem());
        job = next->project;
        auto moved = jobSchedule(*job, from, today());
        if (!moved)
            return refuse(moved.problem());
        if (auto saved = saveJob(*job, c.job); !saved)
            return refuse(saved.problem());
        for (const auto& t : change->told)
            fmt::print(stderr, "{}\n", t);
        tellMoved(*now, *moved);
        now = std::move(moved);
    }
    if (c.asIcs) {
        fmt::print("{}", tasksAsCalendar(*now, job->title));
    } else if (c.asCsv) {
        fmt::print("{}", tasksAsCsv(*now));
    } else if (c.asJson) {
        json out{{"tasks", json::array()}};
        for (std::size_t i = 0; i < now->tasks.size(); ++i)
            out["tasks"].push_back(taskJson(now->tasks[i], now->times[i]));
        out["from"] = isoDay(now->from);
        out["end"] = isoDay(now->end);
        const WorkCalendar& calendar = handedOver(*job).calendar;
        out["worked"] = calendar.worked;
        out["holidays"] = json::array();
        for (const DaySpan& h : calendar.holidays)
            out["holidays"].push_back({isoDay(h.from), isoDay(h.to)});
        fmt::print("{}\n", out.dump(1));
    } else {
        printTasks(*now);
    }
    return ran;
}

int tapeOutCommand(const std::string& path, const std::string& room, bool asJson) {
    const auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    const auto scene = sceneOf(**job);
    if (!scene)
        return refuse(scene.problem());
    const Notation& shown = (*job)->notation;
    const TapeOut all = tapeOut(**scene, shown);
    const Room& r = *(*scene)->room;
    if (asJson) {
        json out{{"steps", json::array()}};
        for (const TapeStep& s : all.steps)
            out["steps"].push_back({{"piece", s.name},
                                    {"corner", s.corner},
                                    {"at", point(s.at)},
                                    {"from", {fromJson(s.from[0], r), fromJson(s.from[1], r)}},
                                    {"over_marked", s.overMarked}});
        out["heights"] = json::array();
        for (const TapeHeight& h : all.heights)
            out["heights"].push_back({{"wall", r.walls.at(static_cast<std::size_t>(h.wall)).name},
                                      {"what", h.what},
                                      {"up_mm", tidied(h.up.mm())},
                                      {"from_left_mm", tidied(h.along.mm())}});
        out["tape_m"] = tidied(all.tape.mm() / 1000);
        fmt::print("{}\n", out.dump(1));
        return ran;
    }
    std::string last;
    for (const TapeStep& s : all.steps) {
        if (s.name != last)
            fmt::print("{}\n", s.name);
        last = s.name;
        tell("    {:<12} {} from {}, {} from {}{}\n", s.corner, write(s.from[0].length, shown),
             s.from[0].mark, write(s.from[1].length, shown), s.from[1].mark,
             s.overMarked ? "  (over what is marked)" : "");
    }
    for (const TapeHeight& h : all.heights)
        tell("wall {}: {} at {}, {} from its left\n",
             r.walls.at(static_cast<std::size_t>(h.wall)).name, h.what, write(h.up, shown),
             write(h.along, shown));
    tell("tape: {}\n", write(all.tape, shown));
    return ran;
}

int boards(const BoardsCommand& c) {
    std::vector<BoardSize> all;
    std::size_t number = 0;
    for (const std::string& said : c.boards) {
        const auto some = boardsSaid(said, ++number);
        if (!some)
            return refuse(some.problem());
        all.insert(all.end(), some->begin(), some->end());
        if (all.size() > mostBoards)
            break;
    }
    BoardAsk ask;
    ask.shown = {Units::millimetres, 8};
    ask.turn = c.turn;
    const auto stock = boardsSaid(c.stock, 1);
    if (!stock || stock->size() != 1)
        return refuse({worded("the stock, “{}”, is no size", shownPlainly(c.stock)),
                       "write length x width, like \"2400 x 200\""});
    ask.stock = stock->front();
    if (!c.kerf.empty()) {
        const auto kerf = readLength(c.kerf, Units::millimetres);
        if (!kerf)
            return refuse(kerf.problem());
        ask.kerf = *kerf;
    }
    const auto plan = cutBoards(all, ask);
    if (!plan)
        return refuse(plan.problem());
    if (c.asJson) {
        json out{{"sheets", json::array()}};
        for (const auto& sheet : plan->sheets) {
            json cuts = json::array();
            for (const BoardCut& b : sheet)
                cuts.push_back(
                    {{"board", b.board + 1},
                     {"at", {tidied(b.along.mm()), tidied(b.across.mm())}},
                     {"size_mm", {tidied(b.size.along.mm()), tidied(b.size.across.mm())}}});
            out["sheets"].push_back({{"cuts", std::move(cuts)}});
        }
        out["waste"] = std::round(plan->waste * 1e6) / 1e6;
        out["least"] = plan->least;
        fmt::print("{}\n", out.dump(1));
        return ran;
    }
    for (std::size_t i = 0; i < plan->sheets.size(); ++i) {
        tell("board of stock {}\n", i + 1);
        for (const BoardCut& b : plan->sheets[i])
            fmt::print("    {:>3}: {} x {} at {}, {}\n", b.board + 1,
                       write(b.size.along, ask.shown), write(b.size.across, ask.shown),
                       write(b.along, ask.shown), write(b.across, ask.shown));
    }
    tell("{} of stock, {:.1f} % waste{}\n", plan->sheets.size(), plan->waste * 100,
         plan->least ? "; no plan takes fewer" : "");
    if (c.kerf.empty())
        tell("no kerf was said: the saw is reckoned to take nothing; say it like --kerf 3\n");
    return ran;
}

int asBuilt(const AsBuiltCommand& c) {
    auto kept = keptJob(c.job, c.room, "as-built", true);
    if (!kept)
        return refuse(kept.problem());
    ProjectPtr job = kept->job;
    const auto scene = sceneOf(*job);
    if (!scene)
        return refuse(scene.problem());
    std::vector<BuiltCheck> checks;
    int line = 0;
    for (const std::string& said : c.said) {
        ++line;
        auto mark = readBuilt(said, *job, **scene, today());
        if (!mark) {
            Problem p = mark.problem();
            p.file = "measure";
            p.line = line;
            return refuse(p);
        }
        auto check = checkBuilt(*job, **scene, *mark);
        if (!check)
            return refuse(check.problem());
        checks.push_back(std::move(*check));
    }
    std::vector<BuiltMark> keep;
    for (const BuiltCheck& check : checks)
        if (!check.askAgain || c.sure)
            keep.push_back(check.mark);
    std::vector<std::string> told;
    if (!keep.empty()) {
        ScenePtr at = *scene;
        if (c.take)
            for (const BuiltMark& m : keep) {
                const auto e = asItIs(*job, *at, m);
                if (!e)
                    return refuse(e.problem());
                const auto next = apply(*job, *e);
                if (!next)
                    return refuse(next.problem());
                told.push_back(e->words);
                told.insert(told.end(), next->notices.begin(), next->notices.end());
                job = next->project;
                at = next->scene;
            }
        const auto next = apply(*job, {"as built", {SetHandover{withBuilt(*job, keep)}}, {}});
        if (!next)
            return refuse(next.problem());
        job = next->project;
        if (auto saved = saveJob(*job, c.job); !saved)
            return refuse(saved.problem());
    }
    const auto isAsked = [&](const BuiltCheck& b) { return b.askAgain && !c.sure; };
    if (c.asJson) {
        json out{
            {"differs", json::array()}, {"agrees", json::array()}, {"ask_again", json::array()}};
        for (const BuiltCheck& b : checks)
            out[isAsked(b) ? "ask_again" : b.agrees ? "agrees" : "differs"].push_back(builtJson(b));
        fmt::print("{}\n", out.dump(1));
    } else {
        for (const BuiltCheck& b : checks)
            tell("{}, {}: planned {}, built {}{}. {}\n", b.mark.piece, b.what,
                 write(b.mark.planned, job->notation), write(b.mark.built, job->notation),
                 b.agrees    ? ", as planned"
                 : b.matters ? ": it matters"
                             : ": no matter",
                 isAsked(b) ? std::string("Measure that again; it is kept with --sure") : b.why);
    }
    for (const auto& t : told)
        fmt::print(c.asJson ? stderr : stdout, "{}\n", t);
    return ran;
}

int book(const BookCommand& c) {
    sheets::BookAsked asked;
    if (!c.reader.empty()) {
        const auto reader = sheets::readerNamed(c.reader);
        if (!reader)
            return wrong(worded("there is no book for “{}”; it is for the {}",
                                shownPlainly(c.reader), sheets::readerNames()));
        asked.reader = *reader;
    }
    if (!endsAs(c.out, {".pdf"}))
        return wrongUsage;
    const auto paper = sheets::paperNamed(c.paper);
    if (!c.paper.empty() && c.paper != "fit" && !paper)
        return wrong(
            worded("there is no paper “{}”; use letter, tabloid, a4 or a3", shownPlainly(c.paper)));
    const auto scale = sheets::readScale(c.scale);
    if (!c.scale.empty() && !scale)
        return wrong(
            worded("there is no scale “{}”; say it like 1:50 or 1/4\"", shownPlainly(c.scale)));
    for (const std::string& id : c.without)
        if (id != "schemes" && sheets::sheetById(id) == nullptr)
            return wrong(worded("there is no sheet “{}”; the sheets are: {}", shownPlainly(id),
                                sheets::sheetIds()));
    const auto job = open(c.job);
    if (!job)
        return refuse(job.problem());
    // As it was asked for last, but for what is said.
    asked = sheets::BookAsked::asLast(**job, asked.reader);
    if (paper)
        asked.options.paper = paper;
    if (scale)
        asked.options.scale = scale;
    if (!c.without.empty())
        asked.leftOut = c.without;
    Offscreen application;
    const auto printed = sheets::printBook(**job, asked, c.out);
    if (!printed)
        return refuse(printed.problem());
    for (const auto& chapter : printed->chapters)
        if (chapter.page > 0)
            fmt::print("{:>4}  {}\n", chapter.page, chapter.title);
    for (const auto& chapter : printed->chapters)
        if (chapter.page == 0)
            tell("not in it: {} ({})\n", chapter.title, chapter.why);
    tell("{}: {} pages\n", shownPlainly(c.out), printed->pages);
    return ran;
}

int card(const std::string& path, const std::string& room, const std::string& out) {
    if (!endsAs(out, {".pdf", ".png"}))
        return wrongUsage;
    const auto job = open(path, room);
    if (!job)
        return refuse(job.problem());
    Offscreen application;
    const auto printed = sheets::printCard(**job, {}, out);
    if (!printed)
        return refuse(printed.problem());
    fmt::print("{}: {}{}\n", shownPlainly(out), printed->paper,
               printed->told.empty() ? "" : " (" + printed->told + ")");
    return ran;
}

} // namespace mezzet::cli
