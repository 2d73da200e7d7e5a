#include "fits/trying.h"

#include "judge/guard.h"

#include <cmath>

namespace mezzet {

std::optional<Base> baseWithout(const Project& job, const std::vector<int>& ids) {
    Edit e;
    for (const int id : ids)
        e.acts.emplace_back(RemovePiece{id});
    auto after = apply(job, e);
    if (!after)
        return {};
    return Base{after->project, after->scene, judgedAfter(*after)};
}

Judged judgedAfter(const Applied& after) {
    return judgeWhole(*after.scene, *after.project->library.book, after.project->judgement);
}

std::vector<std::string> upsetBy(const Base& base, const Applied& after, const Judged& judged) {
    std::vector<std::string> out;
    for (const Reading& now : judged.readings)
        // A new seat wants a surface beside it: that alone rules nothing out.
        if (now.rule->id != "surface-in-reach" && isUpset(now, base.judged.readings))
            out.push_back(sentenceOf(now, after.project->wording()));
    if (out.empty())
        if (auto harm = harmOf(base.judged, judged, after.project->wording()); !harm.empty())
            out.push_back(std::move(harm));
    return out;
}

double settingOf(const Project& job, const char* rule, const char* name) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? r->number(name) : 0;
}

double lowOf(const Project& job, const char* rule, double otherwise) {
    const Rule* r = job.library.book->byId(rule);
    return r != nullptr ? job.judgement.bandOf(*r).low.value_or(otherwise) : otherwise;
}

Length spokenDown(const Project& job, double mm) {
    const double unit = isMetric(job.notation.units) ? 50 : 25.4;
    return Length::millimetres(std::floor(mm / unit + 1e-6) * unit);
}

} // namespace mezzet
