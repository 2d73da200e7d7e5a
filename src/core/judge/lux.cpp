#include "judge/lux.h"

#include "light/tasks.h"

namespace mezzet {

std::vector<Reading> luxReadings(const Project& job, const Scene& scene) {
    std::vector<Reading> out;
    const Rule* rule = job.library.book->byId("illuminance");
    if (rule == nullptr || !scene.room->closed)
        return out;
    const auto tasks = tasksOf(job, scene);
    if (tasks.empty())
        return out;
    const LitRoom lit(job, scene);
    if (lit.lamps().empty())
        return out;
    const double passedOn = lit.evenlyPassedOn();
    for (const LightTask& t : tasks) {
        Reading r;
        r.rule = rule;
        r.piece = t.piece;
        r.value = {Quantity::count, lit.direct(t.at, t.facing) + passedOn};
        r.band = {t.least, t.most, {}, {}};
        r.verdict = Verdict::note;
        r.at = {t.at.plan(), t.at.plan()};
        out.push_back(std::move(r));
    }
    return out;
}

} // namespace mezzet
