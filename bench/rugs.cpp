// Rugs: every rule of eight of them, a carpet cut anew, and cuts laid out on a roll.
#include "jobs.h"

#include "edit/rug_outline.h"
#include "judge/judging.h"
#include "rugs/roll.h"

#include <benchmark/benchmark.h>
#include <fmt/format.h>

#include <random>

using namespace mezzet;

namespace {

/// A room of 30 by 24 feet with eight rugs, some of them cut to outlines of their own.
const Project& eightRugs() {
    static const Project job = [] {
        Project now = **newProject(
            library(),
            "ceiling 9'\nwall A 30'\n window 4' from left, 6' wide\nwall B 24'\n door 5' "
            "from left, 36 wide, hinge left, swings in, undercut 3/4\nwall C 30'\n door 4' "
            "from left, 36 wide, hinge left, swings in\nwall D 24'");
        for (int i = 0; i < 5; ++i) {
            sayTo(now, fmt::format("sofa 84 x 36 called Sofa {0} at {1}, {2}", i,
                                   60 + (i % 3) * 110, 60 + (i / 3) * 130));
            sayTo(now, fmt::format("coffee table called Low {0} 15 from Sofa {0}", i));
        }
        for (int i = 0; i < 8; ++i)
            sayTo(now, i % 2 == 0
                           ? fmt::format("rug 96 x 60 called Ground {0} at {1}, {2}", i,
                                         60 + (i % 4) * 75, 90 + (i / 4) * 120)
                           : fmt::format("rug called Ground {0}, corners at {1}, {2}; {3}, {2}; "
                                         "{3}, {4}; {1}, {4}",
                                         i, 20 + (i % 4) * 70, 50 + (i / 4) * 120,
                                         80 + (i % 4) * 70, 110 + (i / 4) * 120));
        return now;
    }();
    return job;
}

/// Every rule of rugs, of eight of them among sixty pieces.
void rugReadings(benchmark::State& state) {
    const Project& job = eightRugs();
    const auto scene = *sceneOf(job);
    const Stopped never;
    for (auto _ : state) {
        Judging judging(*scene, *job.library.book, job.judgement, never);
        for (const Rule& r : job.library.book->rules)
            if (r.id.starts_with("rug-"))
                judging.read(r);
        benchmark::DoNotOptimize(judging.soFar());
    }
}
BENCHMARK(rugReadings)->Unit(benchmark::kMillisecond);

/// A carpet cut to its room anew, as when its edge is dragged.
void cutToItsRoom(benchmark::State& state) {
    static const Project job = [] {
        Project now =
            **newProject(library(), "ceiling 9'\nwall A 20'\nwall B 15'\nwall C 12'\ncorner "
                                    "out\nwall D 6'\nwall E 8'\nwall F 21'");
        sayTo(now, "rug called Fill cut to the room, 12 off the walls");
        return now;
    }();
    const auto scene = *sceneOf(job);
    const int id = job.scheme().byName("Fill")->id;
    for (auto _ : state) {
        auto moved = moveRugEdge(job, *scene, id, 1, 3);
        auto after = apply(job, *moved);
        benchmark::DoNotOptimize(after);
    }
}
BENCHMARK(cutToItsRoom)->Unit(benchmark::kMillisecond);

/// So many cuts laid out on a roll.
void cutsOnARoll(benchmark::State& state) {
    std::mt19937 random(3);
    std::vector<RollCut> cuts;
    for (int i = 0; i < state.range(0); ++i)
        cuts.push_back({"cut", Length::millimetres(600.0 + random() % 1800),
                        Length::millimetres(900.0 + random() % 2600)});
    RollAsk ask;
    ask.width = Length::feet(12);
    ask.allowance = Length::inches(2);
    for (auto _ : state) {
        auto plan = layOnRoll(cuts, ask);
        benchmark::DoNotOptimize(plan);
        state.counters["waste"] = plan->waste();
    }
}
BENCHMARK(cutsOnARoll)->Arg(6)->Arg(20)->Arg(60)->Unit(benchmark::kMillisecond);

} // namespace
