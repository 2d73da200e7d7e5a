#include "handover/tasks.h"

#include "handover/materials.h"
#include "hang/hooks.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"

#include <algorithm>
#include <fmt/format.h>

#include <set>

namespace mezzet {

namespace {

constexpr double hoursADay = 8;
/// From this height a unit that stands alone tips: ASTM F2057 has 27 in, from memory.
constexpr Length tipsFrom = Length::inches(27);

/// What is counted in one job, by what asks for a task.
struct Counts {
    std::map<std::string, double, std::less<>> of; ///< a key that is there asks for it
    std::map<std::string, std::vector<std::string>, std::less<>> hand;
    std::map<std::string, std::string, std::less<>> taskOf; ///< by a piece's room and name, folded
};

std::string placeKey(std::string_view room, std::string_view name) {
    return foldCase(room) + "\n" + foldCase(name);
}

class Counter {
public:
    Counter(const Project& job, Counts& out) : job_(job), out_(out) {}

    void room(std::size_t index, const std::vector<ListItem>& items) {
        const Scheme& scheme = *job_.schemes[index];
        const RoomPtr& room = job_.roomOf(index);
        std::set<std::string> gone;
        for (const ListItem& i : items)
            if (i.scheme == index && i.piece != 0 && !isPaid(i.state))
                gone.insert(foldCase(i.name));
        for (const Piece& p : scheme.pieces)
            if (!p.isGroup() && gone.count(foldCase(p.name)) == 0)
                piece(p, room->name);
        painted(scheme, *room);
        if (const auto scene = resolve(room, job_.schemes[index], job_.notation))
            hooks(WallsView(**scene), gone);
    }

private:
    void asks(std::string_view what, double n, const Piece& p, std::string_view room) {
        out_.of[std::string(what)] += n;
        out_.taskOf.emplace(placeKey(room, p.name), what);
    }

    void piece(const Piece& p, std::string_view room) {
        const Kind& k = *p.kind;
        if (p.isThing()) {
            asks("things", 1, p, room);
        } else if (k.light && (p.on.isCeiling() || p.onWall())) {
            asks("wired", 1, p, room);
        } else if (p.onWall()) {
            asks(k.role == Role::shelf     ? "shelves"
                 : k.role == Role::curtain ? "curtains"
                                           : "hung",
                 1, p, room);
        } else if (k.flat()) {
            if (p.rug && p.rug->fit)
                asks("fitted", p.size.width.mm() * p.size.depth.mm() / 1e6, p, room);
            else
                asks("rugs", 1, p, room);
        } else if (!p.on.isCeiling()) {
            asks("furniture", 1, p, room);
            if (k.takesFloor() && k.family == Family::storage && p.size.height >= tipsFrom)
                out_.of["tall"] += 1;
        }
    }

    void painted(const Scheme& scheme, const Room& room) {
        const RoomFacts facts = factsOf(room);
        double area = 0; // m²
        area += scheme.dressing.walls ? facts.netWallArea() / 1e6 : 0;
        if (!scheme.dressing.walls)
            for (const auto& [wall, colour] : scheme.dressing.ownWalls)
                area +=
                    wall < static_cast<int>(room.walls.size()) ? netAreaOf(room, wall) / 1e6 : 0;
        area += scheme.dressing.ceiling ? facts.ceilingArea / 1e6 : 0;
        if (area <= 0)
            return;
        out_.of["painted"] += area * paintCoats;
        const double litres = paintLitres(area);
        out_.hand["painted"].push_back(
            isMetric(job_.notation.units)
                ? worded("about {:.0f} l of paint for two coats in {}", std::ceil(litres),
                         room.name)
                : worded("about {:.1f} gallons of paint for two coats in {}",
                         std::ceil(litres / litresAGallon * 2) / 2, room.name));
    }

    void hooks(const WallsView& walls, const std::set<std::string>& gone) {
        const HookRules rules = hookRules(*job_.library.book);
        std::map<std::pair<std::string, std::string>, std::map<double, int>> rated;
        int held = 0;
        for (const HangOf& h : hangAll(walls, rules)) {
            const Piece* p = walls.scheme->byId(h.piece);
            if (p == nullptr || p->isGroup() || gone.count(foldCase(p->name)) > 0)
                continue;
            const bool shelf = p->kind->role == Role::shelf;
            const std::string to = shelf ? "shelves" : "hung";
            bool heavy = shelf;
            for (const HookPoint& at : h.hooks) {
                heavy = heavy || at.rated > rules.plug;
                rated[{to, at.into == Fixing::stud ? "stud" : "plug"}][at.rated.kg()] += 1;
            }
            held += heavy ? 1 : 0;
        }
        if (held > 0)
            out_.of["fixings"] += held;
        for (const auto& [key, all] : rated) {
            int n = 0;
            double most = 0;
            for (const auto& [kg, count] : all) {
                n += count;
                most = std::max(most, kg);
            }
            const std::string mass = write(Mass::kilograms(most), job_.notation);
            out_.hand[key.first].push_back(
                key.second == "stud"
                    ? worded("{} screws into studs, each rated for up to {}", n, mass)
                    : worded("{} hooks with plugs, each rated for up to {}", n, mass));
        }
    }

    const Project& job_;
    Counts& out_;
};

/// A task before it has its place in the list.
struct Draft {
    JobTask task;
    std::vector<std::string> after;
};

class Drafts {
public:
    explicit Drafts(const Project& job) : job_(job) {}

    std::vector<JobTask> all() {
        const auto items = jobList(job_);
        Counts counts;
        Counter counter(job_, counts);
        for (const std::size_t i : listedSchemes(job_))
            counter.room(i, items);
        static const WorkBook none;
        const WorkBook& book = job_.library.work ? *job_.library.work : none;
        for (const StandardTask& s : book) {
            const auto n = counts.of.find(s.of);
            standard_[foldCase(s.name)] = &s;
            if (n == counts.of.end() && s.of != "always")
                continue;
            standard(s, n == counts.of.end() ? 0 : n->second, counts);
        }
        for (const ListItem& i : items)
            bought(i, counts, book);
        for (const TaskTold& t : handedOver(job_).tasks)
            told(t);
        return inOrder();
    }

private:
    [[nodiscard]] Draft* find(std::string_view name) {
        const auto folded = foldCase(name);
        for (Draft& d : drafts_)
            if (foldCase(d.task.task.name) == folded)
                return &d;
        return nullptr;
    }

    static void byHours(WorkTask& t, double hours) {
        t.hours = hours;
        t.days = std::clamp(static_cast<int>(std::ceil(hours / hoursADay - 1e-9)), 1, mostTaskDays);
    }

    void standard(const StandardTask& s, double n, const Counts& counts) {
        Draft d;
        d.task.task.name = s.name;
        d.task.task.trade = s.trade;
        // To the quarter of an hour.
        byHours(d.task.task, std::round((s.hours + s.each * n) * 4) / 4);
        d.task.task.waitDays = s.waitDays;
        for (const std::string& c : s.cautions)
            d.task.cautions.emplace_back(mezzet::told(c));
        for (const std::string& h : s.atHand)
            d.task.atHand.emplace_back(mezzet::told(h));
        if (const auto it = counts.hand.find(s.of); it != counts.hand.end())
            d.task.atHand.insert(d.task.atHand.end(), it->second.begin(), it->second.end());
        d.after = s.after;
        drafts_.push_back(std::move(d));
    }

    /// An order or a delivery of what is not there yet, before what wants it.
    void bought(const ListItem& i, const Counts& counts, const WorkBook& book) {
        const bool toOrder = i.state == ItemState::toFind || i.state == ItemState::chosen;
        if ((!toOrder && i.state != ItemState::ordered) || !i.leadDays)
            return;
        Draft d;
        d.task.task.trade = std::string("decorator");
        d.task.task.hours = 0.5;
        if (toOrder) {
            d.task.task.name = fmt::format("order {}", i.name);
            d.task.task.waitDays = *i.leadDays;
        } else {
            d.task.task.name = fmt::format("delivery of {}", i.name);
            d.task.task.notBefore = i.due ? i.due
                                    : i.ordered
                                        ? std::optional(*i.ordered + std::chrono::days(*i.leadDays))
                                        : std::nullopt;
        }
        if (find(d.task.task.name) != nullptr)
            d.task.task.name += fmt::format(" for {}", i.room);
        if (!i.supplier.empty())
            d.task.note = worded("from {}", i.supplier);
        const auto what = counts.taskOf.find(placeKey(i.room, i.name));
        for (const StandardTask& s : book)
            if (what != counts.taskOf.end() && s.of == what->second && s.name != "wiring" &&
                s.name != "tape-out")
                if (Draft* user = find(s.name)) {
                    user->after.push_back(d.task.task.name);
                    break;
                }
        drafts_.push_back(std::move(d));
    }

    void told(const TaskTold& t) {
        Draft* there = find(t.name);
        if (t.leftOut) {
            if (there != nullptr) {
                left_[foldCase(t.name)] = there->after;
                drafts_.erase(drafts_.begin() + (there - drafts_.data()));
            }
            return;
        }
        if (there == nullptr) {
            Draft d;
            d.task.own = true;
            d.task.task.name = t.name;
            d.task.task.trade = "decorator";
            // One the trade knows, though nothing in the job asks for it.
            if (const auto s = standard_.find(foldCase(t.name)); s != standard_.end()) {
                d.task.task.trade = s->second->trade;
                d.task.task.waitDays = s->second->waitDays;
                d.after = s->second->after;
                byHours(d.task.task, std::max(s->second->hours, 1.0));
                for (const std::string& c : s->second->cautions)
                    d.task.cautions.emplace_back(mezzet::told(c));
            }
            drafts_.push_back(std::move(d));
            there = &drafts_.back();
        }
        WorkTask& task = there->task.task;
        if (t.trade)
            task.trade = *t.trade;
        if (t.hours)
            byHours(task, *t.hours);
        if (t.days) {
            task.days = *t.days;
            if (!t.hours)
                task.hours = *t.days * hoursADay;
        }
        if (t.waitDays)
            task.waitDays = *t.waitDays;
        if (t.notBefore)
            task.notBefore = t.notBefore;
        if (t.after)
            there->after = *t.after;
        if (!t.note.empty())
            there->task.note = t.note;
    }

    /// Puts the drafts a name means into `out`: itself, or what that which is not there comes
    /// after.
    void resolveName(const std::string& name, std::set<std::string>& seen,
                     std::vector<std::size_t>& out) {
        const auto folded = foldCase(name);
        if (!seen.insert(folded).second)
            return;
        if (const Draft* d = find(folded)) {
            const auto at = static_cast<std::size_t>(d - drafts_.data());
            if (std::find(out.begin(), out.end(), at) == out.end())
                out.push_back(at);
            return;
        }
        if (const auto it = left_.find(folded); it != left_.end())
            for (const std::string& before : it->second)
                resolveName(before, seen, out);
        else if (const auto s = standard_.find(folded); s != standard_.end())
            for (const std::string& before : s->second->after)
                resolveName(before, seen, out);
    }

    /// Whether a task comes after another, by way of others.
    [[nodiscard]] bool isAfter(std::size_t task, std::size_t before) const {
        std::vector<std::size_t> look{task};
        std::set<std::size_t> seen;
        while (!look.empty()) {
            const std::size_t at = look.back();
            look.pop_back();
            for (const std::size_t a : drafts_[at].task.task.after) {
                if (a == before)
                    return true;
                if (seen.insert(a).second)
                    look.push_back(a);
            }
        }
        return false;
    }

    /// What it only comes after in place of one that is not there, and by way of another anyhow, is
    /// no news.
    void withoutRoundabout(std::size_t i) {
        Draft& d = drafts_[i];
        const auto all = d.task.task.after; // as they stand while they are looked at
        std::vector<std::size_t> gone;
        for (const std::size_t a : all) {
            const auto name = foldCase(drafts_[a].task.task.name);
            const bool said = std::any_of(d.after.begin(), d.after.end(),
                                          [&](const auto& n) { return foldCase(n) == name; });
            if (!said && std::any_of(all.begin(), all.end(),
                                     [&](std::size_t b) { return b != a && isAfter(b, a); }))
                gone.push_back(a);
        }
        std::erase_if(d.task.task.after, [&](std::size_t a) {
            return std::find(gone.begin(), gone.end(), a) != gone.end();
        });
    }

    std::vector<JobTask> inOrder() {
        // The user's and the orders after the standard ones; those in the book's order.
        std::vector<JobTask> out;
        for (std::size_t i = 0; i < drafts_.size(); ++i) {
            Draft& d = drafts_[i];
            for (const std::string& name : d.after) {
                std::set<std::string> seen;
                resolveName(name, seen, d.task.task.after);
            }
        }
        for (std::size_t i = 0; i < drafts_.size(); ++i)
            withoutRoundabout(i);
        for (Draft& d : drafts_) {
            for (const std::size_t a : d.task.task.after)
                d.task.afterNames.push_back(drafts_[a].task.task.name);
            out.push_back(d.task);
        }
        return out;
    }

    const Project& job_;
    std::vector<Draft> drafts_;
    std::map<std::string, std::vector<std::string>> left_; ///< of what is left out, by its name
    std::map<std::string, const StandardTask*> standard_;
};

} // namespace

std::string spokenTask(const std::string& name) {
    constexpr std::string_view order = "order ";
    constexpr std::string_view delivery = "delivery of ";
    if (name.starts_with(order))
        return worded("order {}", name.substr(order.size()));
    if (name.starts_with(delivery))
        return worded("delivery of {}", name.substr(delivery.size()));
    return std::string(told(name));
}

Result<std::vector<JobTask>> jobTasks(const Project& job) {
    auto all = Drafts(job).all();
    if (all.size() > mostTasks)
        return Problem{worded("{} tasks are more than {}", all.size(), mostTasks),
                       std::string(told("make some of them one"))};
    return all;
}

Result<JobSchedule> jobSchedule(const Project& job, std::optional<Day> from, Day today) {
    auto tasks = jobTasks(job);
    if (!tasks)
        return tasks.problem();
    const Handover& told = handedOver(job);
    JobSchedule out;
    // The Monday after today.
    out.from = from        ? *from
               : told.from ? *told.from
                           : today + std::chrono::days(7 - weekdayOf(today));
    std::vector<WorkTask> work;
    for (const JobTask& t : *tasks)
        work.push_back(t.task);
    auto times = scheduled(work, told.calendar, out.from);
    if (!times)
        return times.problem();
    out.tasks = std::move(*tasks);
    out.times = std::move(*times);
    out.end = out.from;
    for (const TimedTask& t : out.times)
        out.end = std::max(out.end, t.end);
    return out;
}

std::vector<std::size_t> inOrderOfDays(const JobSchedule& s) {
    std::vector<std::size_t> order(s.tasks.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return std::pair(s.times[a].start, s.times[a].end) <
               std::pair(s.times[b].start, s.times[b].end);
    });
    return order;
}

std::vector<MovedTask> movedBetween(const JobSchedule& was, const JobSchedule& is) {
    std::vector<MovedTask> out;
    for (std::size_t i = 0; i < is.tasks.size(); ++i)
        for (std::size_t k = 0; k < was.tasks.size(); ++k)
            if (foldCase(was.tasks[k].task.name) == foldCase(is.tasks[i].task.name) &&
                was.times[k].start != is.times[i].start)
                out.push_back({is.tasks[i].task.name, was.times[k].start, is.times[i].start});
    return out;
}

std::vector<std::string> withThoseBefore(const Project& job, Handover& handover) {
    Project tried = job;
    tried.handover = std::make_shared<const Handover>(handover);
    std::set<std::string> known;
    if (const auto all = jobTasks(tried))
        for (const JobTask& t : *all)
            known.insert(foldCase(t.task.name));
    std::vector<std::string> added;
    for (const TaskTold& t : handover.tasks)
        known.insert(foldCase(t.name));
    for (const TaskTold& t : std::vector<TaskTold>(handover.tasks))
        for (const std::string& name : t.after.value_or(std::vector<std::string>{}))
            if (known.insert(foldCase(name)).second) {
                TaskTold fresh;
                fresh.name = name;
                handover.tasks.push_back(std::move(fresh));
                added.push_back(name);
            }
    return added;
}

std::optional<Problem> wrongTasks(const Project& job, const Handover& handover) {
    Project tried = job;
    tried.handover = std::make_shared<const Handover>(handover);
    // From the first day that is told of: what is told must be done within years of each other.
    std::optional<Day> first = handover.from;
    const auto earlier = [&](const std::optional<Day>& d) {
        if (d && (!first || *d < *first))
            first = d;
    };
    for (const TaskTold& t : handover.tasks)
        earlier(t.notBefore);
    for (const ListEntry& e : handover.list) {
        earlier(e.ordered);
        earlier(e.due);
    }
    const auto made = jobSchedule(tried, first, Day{});
    return made ? std::nullopt : std::optional(made.problem());
}

} // namespace mezzet
