#include "judge/remedy.h"

#include "edit/preview.h"
#include "judge/guard.h"
#include "judge/judging.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <atomic>
#include <cmath>
#include <future>
#include <mutex>
#include <numeric>
#include <thread>

namespace mezzet {

namespace {

struct Trial {
    double number = 0; ///< the handle's
    Edit edit;
    Applied after;
    Judged judged;    ///< whole when it is good, else nothing
    FoundAgain found; ///< the reading in question
    bool good = false;
};

/// What a trial is to come to.
struct Wanted {
    std::function<bool(const FoundAgain&)> reached; ///< of the reading in question
    bool guarded = true;                            ///< nothing that is guarded may be worse
};

/// What is tried against what: the job as it is, and what is asked.
struct Trying {
    const Reading& reading;
    const Project& job;
    const Judged& before;
    const Stopped& stopped;

    [[nodiscard]] bool leaveOff() const { return stopped && stopped(); }
};

/// Tries a number of a handle. The reading in question is read first, then what is guarded, and
/// the rest only when those are as wanted. Empty when it can't be, or it was stopped.
std::optional<Trial> attempt(const Handle& h, double x, const Trying& of, const Wanted& wanted) {
    if (of.leaveOff())
        return {};
    auto edit = h.edit(x);
    if (!edit || edit->acts.empty())
        return {};
    auto after = apply(of.job, *edit);
    if (!after)
        return {};
    Judging judging(*after->scene, *of.job.library.book, of.job.judgement, of.stopped);
    judging.read(*of.reading.rule);
    const auto found = foundAgain(of.reading, judging.soFar(), of.before.readings);
    const bool good =
        wanted.reached(found) && judging.readAll(wanted.guarded ? &of.before : nullptr);
    if (judging.soFar().stopped)
        return {};
    return Trial{x,   std::move(*edit), std::move(*after), good ? judging.take() : Judged{}, found,
                 good};
}

double stepOf(const Reading& r, const Project& job) {
    return r.value.quantity == Quantity::length ? division(job.notation).mm() : 0.0;
}

/// Turns a handle until the reading has the value, within half a division.
std::optional<Trial> search(const Handle& h, double target, const Trying& of,
                            const Wanted& wanted) {
    const double d = h.of == Handle::Of::ratio ? h.step : division(of.job.notation).mm();
    const auto sayable = [&](double x) {
        return h.of == Handle::Of::length ? std::round(x / d) * d : x;
    };
    double x = sayable(h.start);
    double lastX = 0;
    double lastValue = of.reading.value.value;
    bool first = true;
    for (int step = 0; step < 5; ++step) {
        auto t = attempt(h, x, of, wanted);
        if (!t || t->good)
            return t;
        if (h.of == Handle::Of::nothing)
            return {};
        // A division more or less makes up for the rounding, where no more than that is amiss.
        const bool amiss = !t->found.mended && t->found.value &&
                           std::abs(*t->found.value - target) > 2 * d * std::abs(h.slope);
        for (const double nudge : {d, -d}) {
            if (amiss)
                break;
            auto near = attempt(h, x + nudge, of, wanted);
            if (near && near->good)
                return near;
        }
        if (!t->found.value)
            return {};
        double slope = h.slope;
        if (!first && std::abs(x - lastX) > 1e-9)
            slope = (*t->found.value - lastValue) / (x - lastX);
        // Turned, it changes nothing to speak of.
        if (std::abs(slope) < 1e-3 * std::abs(h.slope))
            return {};
        lastX = x;
        lastValue = *t->found.value;
        first = false;
        x = sayable(x + (target - *t->found.value) / slope);
    }
    return {};
}

bool worse(const Reading& before, const Reading& now) {
    if (!now.toMend())
        return false;
    if (!before.toMend() || (now.verdict == Verdict::clash && before.verdict != Verdict::clash))
        return true;
    const double b = before.value.value;
    const double v = now.value.value;
    constexpr double close = 0.02;
    if (now.verdict == Verdict::tight)
        return v < b - close;
    return v > b + close;
}

struct Weighed {
    std::vector<std::string> upsets;
    std::vector<std::string> mends;
};

Weighed weighReadings(const Reading& r, const std::vector<Reading>& before,
                      const std::vector<Reading>& after, const Wording& say) {
    Weighed out;
    for (const Reading& now : after) {
        if (now.sameAs(r))
            continue;
        if (isUpset(now, before))
            out.upsets.push_back(sentenceOf(now, say));
    }
    for (const Reading& old : before) {
        if (!old.toMend() || old.sameAs(r))
            continue;
        const auto now = std::find_if(after.begin(), after.end(),
                                      [&](const Reading& x) { return x.sameAs(old); });
        if (now == after.end() || !now->toMend())
            out.mends.push_back(sentenceOf(old, say));
    }
    return out;
}

Weighed weigh(const Trying& of, const Trial& t) {
    return weighReadings(of.reading, of.before.readings, t.judged.readings,
                         t.after.project->wording());
}

/// The near edge of the band, and its middle, rounded to what people say.
std::vector<double> targetsOf(const Reading& r, const RuleCode& code, const Project& job) {
    const Band& b = r.band;
    const double spoken = r.value.quantity != Quantity::length ? 0
                          : isMetric(job.notation.units)       ? 10.0
                                                               : 12.7;
    const auto nice = [&](double v) {
        if (spoken <= 0)
            return v;
        const double n = std::round(v / spoken) * spoken;
        return (!b.low || n >= *b.low) && (!b.high || n <= *b.high) ? n : v;
    };
    std::vector<double> out;
    const auto low = b.bestLow ? b.bestLow : b.low;
    const auto high = b.bestHigh ? b.bestHigh : b.high;
    // Past the bound, not on it.
    if (code.goneWhenMended)
        return {b.low && r.value.value < *b.low ? *b.low + division(job.notation).mm() : 0.0};
    if (low && high && !code.nearEdge)
        out.push_back(nice((*low + *high) / 2));
    if (b.low && r.value.value < *b.low)
        out.push_back(*b.low);
    else if (b.high && r.value.value > *b.high)
        out.push_back(*b.high);
    return out;
}

/// One move that mends a reading, and the job after it.
struct Step {
    Remedy remedy;
    Trial trial;
};

/// How far pieces move in all, mm.
double movedBy(const Scene& before, const Scene& after) {
    double sum = 0;
    for (const Placed& p : before.all)
        if (const Placed* now = after.byId(p.id))
            sum += norm(now->pose.at - p.pose.at);
    return sum;
}

/// A trial as it is offered: only now is it put in words.
Remedy saidAs(const Handle& h, const Trial& t, const Project& job, const Scene& was, Weighed w) {
    return {h.line(t.number),   t.edit, previewOf(job, was, t.edit, t.after), std::move(w.upsets),
            std::move(w.mends), 1};
}

/// The best single move. With `anyCost`, one that costs what is guarded too: the first of a chain
/// that makes it good again.
std::optional<Step> singleStep(const Trying& of, const Scene& scene, bool anyCost) {
    const Reading& r = of.reading;
    const auto* code = r.rule != nullptr ? codeOf(r.rule->id) : nullptr;
    if (code == nullptr || !r.toMend())
        return {};
    // A foot of moving counts as much as a light thing left to mend.
    constexpr double perMillimetre = 0.05;
    std::optional<Step> best;
    double least = 0;
    for (const double target : targetsOf(r, *code, of.job)) {
        for (const Handle& h : code->handles(r, target, of.job, scene)) {
            auto t =
                search(h, target, of, {[](const FoundAgain& f) { return f.mended; }, !anyCost});
            if (!t)
                continue;
            auto w = weigh(of, *t);
            const double cost =
                weightOf(t->judged.readings) + perMillimetre * movedBy(scene, *t->after.scene);
            if (best &&
                (cost > least || (cost == least && w.upsets.size() >= best->remedy.upsets.size())))
                continue;
            least = cost;
            best = Step{saidAs(h, *t, of.job, scene, std::move(w)), std::move(*t)};
        }
        if (best && best->remedy.upsets.empty())
            return best;
    }
    return best;
}

/// Whether a remedy may be offered.
bool isFair(const Trying& of, const Trial& t) {
    return foundAgain(of.reading, t.judged, of.before.readings).mended &&
           !harms(of.before, t.judged) &&
           weightOf(t.judged.readings) < weightOf(of.before.readings) - 1e-6;
}

/// The weightiest of the readings that a step made worse or brought up.
const Reading* worstUpset(const Reading& r, const std::vector<Reading>& before,
                          const std::vector<Reading>& after) {
    const Reading* worst = nullptr;
    for (const Reading& now : after) {
        if (now.sameAs(r))
            continue;
        if (isUpset(now, before) && (worst == nullptr || weightOf(now) > weightOf(*worst)))
            worst = &now;
    }
    return worst;
}

constexpr int longestChain = 3;

/// Goes on from a step that upsets something: mends the worst of that, and so on. The best that
/// may be offered; empty when none may.
std::optional<Remedy> lengthened(const Step& first, const Trying& of) {
    std::optional<Remedy> best;
    double least = 0;
    const auto offer = [&](const Remedy& r, const Trial& t) {
        if (!isFair(of, t))
            return;
        const double weight = weightOf(t.judged.readings);
        if (best && (weight >= least || r.upsets.size() > best->upsets.size()))
            return;
        best = r;
        least = weight;
    };
    offer(first.remedy, first.trial);
    Trial now = first.trial;
    Remedy chain = first.remedy;
    while (chain.moves < longestChain && !chain.upsets.empty()) {
        const Reading* upset = worstUpset(of.reading, of.before.readings, now.judged.readings);
        if (upset == nullptr)
            break;
        const Trying then{*upset, *now.after.project, now.judged, of.stopped};
        auto next = singleStep(then, *now.after.scene, true);
        // The reading it is all about has to stay mended.
        if (!next || !foundAgain(of.reading, next->trial.judged, of.before.readings).mended)
            break;
        chain.line += "; then " + next->remedy.line;
        chain.preview += ", then " + smallFirst(next->remedy.preview);
        ++chain.moves;
        chain.edit.acts.insert(chain.edit.acts.end(), next->remedy.edit.acts.begin(),
                               next->remedy.edit.acts.end());
        chain.edit.notices.insert(chain.edit.notices.end(), next->remedy.edit.notices.begin(),
                                  next->remedy.edit.notices.end());
        now = std::move(next->trial);
        // Against the beginning, not against the step before.
        auto w = weighReadings(of.reading, of.before.readings, now.judged.readings,
                               now.after.project->wording());
        chain.upsets = std::move(w.upsets);
        chain.mends = std::move(w.mends);
        offer(chain, now);
    }
    return best;
}

} // namespace

bool isUpset(const Reading& now, const std::vector<Reading>& before) {
    const auto old =
        std::find_if(before.begin(), before.end(), [&](const Reading& b) { return b.sameAs(now); });
    return old == before.end() ? now.toMend() : worse(*old, now);
}

double weightOf(const std::vector<Reading>& all) {
    double sum = 0;
    for (const Reading& r : all)
        sum += weightOf(r);
    return sum;
}

std::optional<Remedy> remedyFor(const Reading& r, const Project& job, const Scene& scene,
                                const Judged& before, const Stopped& stopped) {
    const Trying of{r, job, before, stopped};
    for (const bool anyCost : {false, true}) {
        const auto step = singleStep(of, scene, anyCost);
        if (!step)
            continue;
        if (step->remedy.upsets.empty() && isFair(of, step->trial))
            return step->remedy;
        if (auto remedy = lengthened(*step, of))
            return remedy;
    }
    return {};
}

std::vector<std::optional<std::optional<Remedy>>>
remediesFor(const Judged& judged, const Project& job, const Scene& scene, const Stopped& stopped,
            const std::function<void()>& done) {
    const auto& readings = judged.readings;
    std::vector<std::optional<std::optional<Remedy>>> all(readings.size());
    // Setting a group out anew takes longest: what is about one is begun first, so that no hand
    // waits for it at the end.
    std::vector<std::size_t> order(readings.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_partition(order.begin(), order.end(), [&](std::size_t i) {
        const Piece* p = job.scheme().byId(readings[i].piece);
        return p != nullptr && (p->isGroup() || p->group() != 0);
    });
    std::atomic<std::size_t> next = 0;
    std::mutex telling;
    const auto work = [&] {
        for (std::size_t n = next++; n < order.size(); n = next++) {
            const std::size_t i = order[n];
            if (readings[i].toMend() && stopped && stopped())
                continue;
            all[i] = remedyFor(readings[i], job, scene, judged, stopped);
            const std::scoped_lock lock(telling);
            if (done)
                done();
        }
    };
    const auto toMend = static_cast<std::size_t>(std::count_if(
        readings.begin(), readings.end(), [](const Reading& r) { return r.toMend(); }));
    const auto hands = std::clamp<std::size_t>(std::thread::hardware_concurrency(), 1,
                                               std::max<std::size_t>(toMend, 1));
    std::vector<std::future<void>> others;
    for (std::size_t i = 1; i < hands; ++i)
        others.push_back(std::async(std::launch::async, work));
    work();
    for (auto& other : others)
        other.get();
    return all;
}

std::optional<Remedy> remedyFor(const Reading& r, const Project& job, const Scene& scene,
                                const std::vector<Reading>&) {
    return remedyFor(r, job, scene, judgeWhole(scene, *job.library.book, job.judgement));
}

Mended mendAll(const Project& job, const MendAsked& asked) {
    Mended out;
    auto scene = sceneOf(job);
    if (!scene)
        return out;
    const ScenePtr start = *scene;
    ProjectPtr now = std::make_shared<const Project>(job);
    ScenePtr there = start;
    const Stopped& stopped = asked.stopped;
    Judged judged = judgeWhole(*there, *job.library.book, job.judgement, stopped);
    const Judged atFirst = judged;
    const auto count = [](const std::vector<Reading>& all) {
        return static_cast<int>(
            std::count_if(all.begin(), all.end(), [](const Reading& r) { return r.toMend(); }));
    };
    out.before = out.after = count(judged.readings);
    const auto tooFar = [&](const Scene& then) {
        for (const Placed& p : start->all) {
            const Placed* moved = then.byId(p.id);
            if (moved != nullptr && distance(p.pose.at, moved->pose.at) > asked.largestMove + quiet)
                return true;
        }
        return false;
    };
    std::vector<Reading> given; ///< up: no remedy of theirs will do
    /// What was found for a job that has not changed since.
    std::vector<std::pair<Reading, std::optional<Remedy>>> known;
    bool trades = false;         ///< whether a remedy may upset less than it mends
    constexpr double worth = 25; ///< what a trade gains at the least, by weight
    constexpr int mostSteps = 60;
    while (static_cast<int>(out.lines.size()) < mostSteps) {
        if (stopped && stopped()) {
            out.stopped = true;
            break;
        }
        auto order = toMendByWeight(judged.readings);
        std::erase_if(order, [&](const Reading* r) {
            return std::any_of(given.begin(), given.end(),
                               [&](const Reading& g) { return g.sameAs(*r); });
        });
        if (order.empty() && !trades) {
            trades = true;
            given.clear();
            continue;
        }
        if (order.empty())
            break;
        const Reading worst = *order.front();
        if (asked.goesOn &&
            !asked.goesOn(static_cast<int>(out.lines.size()), static_cast<int>(order.size()))) {
            out.stopped = true;
            break;
        }
        const auto before = std::find_if(known.begin(), known.end(),
                                         [&](const auto& k) { return k.first.sameAs(worst); });
        const auto remedy = before != known.end() ? before->second
                                                  : remedyFor(worst, *now, *there, judged, stopped);
        if (before == known.end())
            known.emplace_back(worst, remedy);
        auto next = remedy && (trades || remedy->upsets.empty()) ? apply(*now, remedy->edit)
                                                                 : Result<Applied>(Problem{});
        if (!next || tooFar(*next->scene)) {
            given.push_back(worst);
            continue;
        }
        auto after = judgeWhole(*next->scene, *job.library.book, job.judgement, stopped);
        if (after.stopped) {
            out.stopped = true;
            break;
        }
        const bool upsets = !remedy->upsets.empty();
        // Nothing guarded pays, from one step to the next nor over all of them.
        if (weightOf(after.readings) >= weightOf(judged.readings) - (upsets ? worth : 0) ||
            (upsets && count(after.readings) > count(judged.readings)) || harms(judged, after) ||
            harms(atFirst, after)) {
            given.push_back(worst);
            continue;
        }
        out.lines.push_back(remedy->line);
        out.why.push_back(sentenceOf(worst, now->wording()));
        out.but.push_back(remedy->upsets);
        out.edit.acts.insert(out.edit.acts.end(), remedy->edit.acts.begin(),
                             remedy->edit.acts.end());
        trades = false; // what is left may be mended for nothing now
        now = next->project;
        there = next->scene;
        judged = std::move(after);
        given.clear();
        known.clear();
    }
    out.after = count(judged.readings);
    out.edit.words = out.lines.size() == 1 ? std::string(told("mend one thing"))
                                           : worded("mend {} things", out.lines.size());
    return out;
}

Result<Remedy> bringTo(const Reading& r, double value, const Project& job, const Scene& scene,
                       const std::vector<Reading>&) {
    const auto* code = r.rule != nullptr ? codeOf(r.rule->id) : nullptr;
    if (code != nullptr) {
        const Judged before = judgeWhole(scene, *job.library.book, job.judgement);
        const Stopped never;
        const Trying of{r, job, before, never};
        const double near =
            r.value.quantity == Quantity::length ? stepOf(r, job) / 2 + 0.02 : 0.005;
        const auto reached = [&](const FoundAgain& f) {
            return f.value ? std::abs(*f.value - value) <= near
                           : code->goneWhenMended && f.mended && value <= near;
        };
        for (const Handle& h : code->handles(r, value, job, scene)) {
            if (auto t = search(h, value, of, {reached, false})) {
                return saidAs(h, *t, job, scene, weigh(of, *t));
            }
        }
    }
    return Problem{worded("{} can't be brought to {} by moving or sizing it alone",
                          titleOf(r, job.wording()),
                          words(Amount{r.value.quantity, value}, job.notation)),
                   "move the pieces on the board, or free one that is locked"};
}

} // namespace mezzet
