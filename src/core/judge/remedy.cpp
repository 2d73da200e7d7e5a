#include "judge/remedy.h"

#include "edit/line.h"
#include "judge/rule_code.h"

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

Weighed weigh(const Reading& r, const Project& job, const std::vector<Reading>& before,
              const Trial& t) {
    Weighed out;
    const Wording say = t.after.project->wording();
    const auto called = [&](const Reading& x, const Wording& w) {
        return fmt::format("{}: {}", w.scheme.byId(x.piece)->name, whyOf(x, w));
    };
    for (const Reading& now : t.readings) {
        if (now.sameAs(r))
            continue;
        const auto old = std::find_if(before.begin(), before.end(),
                                      [&](const Reading& b) { return b.sameAs(now); });
        if (old == before.end() ? now.toMend() : worse(*old, now))
            out.upsets.push_back(called(now, say));
    }
    for (const Reading& old : before) {
        if (!old.toMend() || old.sameAs(r))
            continue;
        const auto now = std::find_if(t.readings.begin(), t.readings.end(),
                                      [&](const Reading& x) { return x.sameAs(old); });
        if (now == t.readings.end() || !now->toMend())
            out.mends.push_back(called(old, job.wording()));
    }
    return out;
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

} // namespace

std::optional<Remedy> remedyFor(const Reading& r, const Project& job, const Scene& scene,
                                const std::vector<Reading>& all) {
    const auto* code = r.rule != nullptr ? codeOf(r.rule->id) : nullptr;
    if (code == nullptr || !r.toMend())
        return {};
    std::optional<Remedy> best;
    for (const double target : targetsOf(r, *code, job)) {
        for (const Handle& h : code->handles(r, target, job, scene)) {
            const auto mended = [&](const Trial& t) {
                return t.value ? t.verdict == Verdict::right : code->goneWhenMended;
            };
            auto t = search(h, r, target, job, mended);
            if (!t)
                continue;
            auto w = weigh(r, job, all, *t);
            if (!best || w.upsets.size() < best->upsets.size())
                best = Remedy{t->line, t->said.edit, t->said.preview, std::move(w.upsets),
                              std::move(w.mends)};
            if (best->upsets.empty())
                return best;
        }
    }
    return best;
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
                auto w = weigh(r, job, all, *t);
                return Remedy{t->line, t->said.edit, t->said.preview, std::move(w.upsets),
                              std::move(w.mends)};
            }
        }
    }
    return Problem{fmt::format("{} can't be brought to {} by moving or sizing it alone",
                               titleOf(r, job.wording()),
                               words(Amount{r.value.quantity, value}, job.notation)),
                   "move the pieces on the board, or free one that is locked"};
}

} // namespace mezzet
