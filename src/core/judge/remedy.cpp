#include "judge/remedy.h"

#include "edit/line.h"
#include "judge/rule_code.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

struct Trial {
    Said said;
    std::string line;
    Applied after;
    std::vector<Reading> readings;
    std::optional<double> value; ///< of the reading in question; empty when it is gone
    Verdict verdict = Verdict::right;
};

std::optional<Trial> attempt(const std::string& line, const Reading& r, const Project& job) {
    auto said = readLine(line, job);
    if (!said)
        return {};
    auto after = apply(job, said->edit);
    if (!after)
        return {};
    Trial t{*said, line,          *after, judge(*after->scene, *job.library.book, job.judgement),
            {},    Verdict::right};
    for (const Reading& now : t.readings) {
        if (now.sameAs(r)) {
            t.value = now.value.value;
            t.verdict = now.verdict;
        }
    }
    return t;
}

double stepOf(const Reading& r, const Project& job) {
    return r.value.quantity == Quantity::length ? division(job.notation).mm() : 0.0;
}

/// Turns a handle until the reading has the value, within half a division; the line's own rounding
/// is part of what is tried.
template <class Good>
std::optional<Trial> search(const Handle& h, const Reading& r, double target, const Project& job,
                            Good good) {
    double x = h.start;
    double lastX = 0;
    double lastValue = r.value.value;
    bool first = true;
    for (int step = 0; step < 5; ++step) {
        auto t = attempt(h.line(x), r, job);
        if (!t)
            return {};
        if (good(*t))
            return t;
        // A division more or less makes up for the rounding of the line.
        const double d = division(job.notation).mm();
        for (const double nudge : {d, -d}) {
            auto near = attempt(h.line(x + nudge), r, job);
            if (near && good(*near))
                return near;
        }
        if (!t->value)
            return {};
        double slope = h.slope;
        if (!first && std::abs(x - lastX) > 1e-9)
            slope = (*t->value - lastValue) / (x - lastX);
        if (std::abs(slope) < 1e-9)
            return {};
        lastX = x;
        lastValue = *t->value;
        first = false;
        x += (target - *t->value) / slope;
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
    constexpr double same = 0.02;
    if (now.verdict == Verdict::tight)
        return v < b - same;
    return v > b + same;
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

Weighed weigh(const Reading& r, const std::vector<Reading>& before, const Trial& t) {
    return weighReadings(r, before, t.readings, t.after.project->wording());
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
    if (code.goneWhenMended)
        return {0.0};
    if (low && high)
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
    for (const auto* list : {&before.placed, &before.hung})
        for (const Placed& p : *list)
            if (const Placed* now = after.byId(p.id))
                sum += norm(now->pose.at - p.pose.at);
    return sum;
}

std::optional<Step> singleStep(const Reading& r, const Project& job, const Scene& scene,
                               const std::vector<Reading>& all) {
    const auto* code = r.rule != nullptr ? codeOf(r.rule->id) : nullptr;
    if (code == nullptr || !r.toMend())
        return {};
    // A foot of moving counts as much as a light thing left to mend.
    constexpr double perMillimetre = 0.05;
    std::optional<Step> best;
    double least = 0;
    for (const double target : targetsOf(r, *code, job)) {
        for (const Handle& h : code->handles(r, target, job, scene)) {
            const auto mended = [&](const Trial& t) {
                // A reading that goes away is mended: a gap wider than is of interest, a clash that
                // is no more.
                return t.value ? t.verdict == Verdict::right
                               : code->goneWhenMended || r.verdict != Verdict::loose;
            };
            auto t = search(h, r, target, job, mended);
            if (!t)
                continue;
            auto w = weigh(r, all, *t);
            const double cost =
                weightOf(t->readings) + perMillimetre * movedBy(scene, *t->after.scene);
            if (best &&
                (cost > least || (cost == least && w.upsets.size() >= best->remedy.upsets.size())))
                continue;
            least = cost;
            best = Step{Remedy{t->line, t->said.edit, t->said.preview, std::move(w.upsets),
                               std::move(w.mends), 1},
                        std::move(*t)};
        }
        if (best && best->remedy.upsets.empty())
            return best;
    }
    return best;
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

/// Goes on from a step that upsets something: mends the worst of that, and so on.
void lengthen(Step& first, const Reading& r, const std::vector<Reading>& all) {
    Trial now = first.trial;
    Remedy chain = first.remedy;
    while (chain.moves < longestChain && !chain.upsets.empty()) {
        const Reading* upset = worstUpset(r, all, now.readings);
        if (upset == nullptr)
            return;
        auto next = singleStep(*upset, *now.after.project, *now.after.scene, now.readings);
        if (!next)
            return;
        // The reading it is all about has to stay mended.
        for (const Reading& still : next->trial.readings)
            if (still.sameAs(r) && still.toMend())
                return;
        chain.line += "; then " + next->remedy.line;
        chain.preview += ", then " + smallFirst(next->remedy.preview);
        ++chain.moves;
        chain.edit.acts.insert(chain.edit.acts.end(), next->remedy.edit.acts.begin(),
                               next->remedy.edit.acts.end());
        chain.edit.notices.insert(chain.edit.notices.end(), next->remedy.edit.notices.begin(),
                                  next->remedy.edit.notices.end());
        now = next->trial;
        // Against the beginning, not against the step before.
        auto w = weighReadings(r, all, now.readings, now.after.project->wording());
        const bool better = weightOf(now.readings) < weightOf(first.trial.readings) &&
                            w.upsets.size() <= first.remedy.upsets.size();
        chain.upsets = std::move(w.upsets);
        chain.mends = std::move(w.mends);
        if (better) {
            first.remedy = chain;
            first.trial = now;
        }
    }
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
                                const std::vector<Reading>& all) {
    auto step = singleStep(r, job, scene, all);
    if (!step)
        return {};
    if (!step->remedy.upsets.empty())
        lengthen(*step, r, all);
    return std::move(step->remedy);
}

Mended mendAll(const Project& job, const MendAsked& asked) {
    Mended out;
    auto scene = sceneOf(job);
    if (!scene)
        return out;
    const ScenePtr start = *scene;
    ProjectPtr now = std::make_shared<const Project>(job);
    ScenePtr there = start;
    auto readings = judge(*there, *job.library.book, job.judgement);
    const auto count = [](const std::vector<Reading>& all) {
        return static_cast<int>(
            std::count_if(all.begin(), all.end(), [](const Reading& r) { return r.toMend(); }));
    };
    out.before = out.after = count(readings);
    const auto tooFar = [&](const Scene& then) {
        for (const auto* list : {&start->placed, &start->hung})
            for (const Placed& p : *list) {
                const Placed* moved = then.byId(p.id);
                if (moved != nullptr &&
                    distance(p.pose.at, moved->pose.at) > asked.largestMove + quiet)
                    return true;
            }
        return false;
    };
    std::vector<Reading> given;  ///< up: no remedy of theirs will do
    bool trades = false;         ///< whether a remedy may upset less than it mends
    constexpr double worth = 25; ///< what a trade gains at the least, by weight
    constexpr int mostSteps = 60;
    while (static_cast<int>(out.lines.size()) < mostSteps) {
        auto order = toMendByWeight(readings);
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
        const auto remedy = remedyFor(worst, *now, *there, readings);
        auto next = remedy && (trades || remedy->upsets.empty()) ? apply(*now, remedy->edit)
                                                                 : Result<Applied>(Problem{});
        if (!next || tooFar(*next->scene)) {
            given.push_back(worst);
            continue;
        }
        auto after = judge(*next->scene, *job.library.book, job.judgement);
        const bool upsets = !remedy->upsets.empty();
        if (weightOf(after) >= weightOf(readings) - (upsets ? worth : 0) ||
            (upsets && count(after) > count(readings))) {
            given.push_back(worst);
            continue;
        }
        out.lines.push_back(remedy->line);
        out.why.push_back(sentenceOf(worst, now->wording()));
        out.but.push_back(upsets ? remedy->upsets.front() : std::string());
        out.edit.acts.insert(out.edit.acts.end(), remedy->edit.acts.begin(),
                             remedy->edit.acts.end());
        trades = false; // what is left may be mended for nothing now
        now = next->project;
        there = next->scene;
        readings = std::move(after);
        given.clear();
    }
    out.after = count(readings);
    out.edit.words = out.lines.size() == 1 ? std::string("mend one thing")
                                           : fmt::format("mend {} things", out.lines.size());
    return out;
}

Result<Remedy> bringTo(const Reading& r, double value, const Project& job, const Scene& scene,
                       const std::vector<Reading>& all) {
    const auto* code = r.rule != nullptr ? codeOf(r.rule->id) : nullptr;
    if (code != nullptr) {
        const double near =
            r.value.quantity == Quantity::length ? stepOf(r, job) / 2 + 0.02 : 0.005;
        for (const Handle& h : code->handles(r, value, job, scene)) {
            const auto reached = [&](const Trial& t) {
                return t.value ? std::abs(*t.value - value) <= near
                               : code->goneWhenMended && value <= near;
            };
            if (auto t = search(h, r, value, job, reached)) {
                auto w = weigh(r, all, *t);
                return Remedy{
                    t->line, t->said.edit, t->said.preview, std::move(w.upsets), std::move(w.mends),
                    1};
            }
        }
    }
    return Problem{fmt::format("{} can't be brought to {} by moving or sizing it alone",
                               titleOf(r, job.wording()),
                               words(Amount{r.value.quantity, value}, job.notation)),
                   "move the pieces on the board, or free one that is locked"};
}

} // namespace mezzet
