#include "fits/trying.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

std::optional<Base> baseWithout(const Project& job, const std::vector<int>& ids) {
    Edit e;
    for (const int id : ids)
        e.acts.emplace_back(RemovePiece{id});
    auto after = apply(job, e);
    if (!after)
        return {};
    return Base{after->project, after->scene,
                judge(*after->scene, *job.library.book, job.judgement)};
}

std::vector<std::string> upsetBy(const Base& base, const Applied& after) {
    std::vector<std::string> out;
    const auto readings = judge(*after.scene, *base.job->library.book, base.job->judgement);
    const Wording say = after.project->wording();
    for (const Reading& now : readings) {
        // A new seat wants a surface beside it: that alone rules nothing out.
        if (!now.toMend() || now.rule->id == "surface-in-reach")
            continue;
        const auto old = std::find_if(base.readings.begin(), base.readings.end(),
                                      [&](const Reading& b) { return b.sameAs(now); });
        if (old == base.readings.end() || !old->toMend() ||
            std::abs(now.value.value - old->value.value) > 0.5)
            out.push_back(subjectOf(now, say) + ": " + whyOf(now, say));
    }
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
