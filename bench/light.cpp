// Light: rules of thirty fixtures, what comes straight from them on a grid with shadows, and what
// is passed on; beside a loop over every triangle for the same shadows.
#include "jobs.h"

#include "judge/judging.h"
#include "light/illuminance.h"

#include <benchmark/benchmark.h>
#include <fmt/format.h>

using namespace mezzet;

namespace {

/// A room of some 40 m2 with thirty fixtures over a sitting and a supper group.
const Project& thirtyLights() {
    static const Project job = [] {
        Project now = **newProject(
            library(),
            "ceiling 9'\nwall A 24'\n window 4' from left, 6' wide\nwall B 18'\n door 5' "
            "from left, 36 wide, hinge left, swings in\nwall C 24'\nwall D 18'");
        sayTo(now, "sofa 84 x 36 called Sofa at 5', 6'");
        sayTo(now, "coffee table called Low 15 from Sofa");
        sayTo(now, "dining table 84 x 40 called Table at 17', 9'");
        sayTo(now, "seat Table with 6");
        sayTo(now, "bookcase against wall D");
        for (int i = 0; i < 28; ++i)
            sayTo(now, fmt::format("add recessed light called Can {} at {}in, {}in", i,
                                   30 + 38 * (i % 7), 30 + 52 * (i / 7)));
        sayTo(now, "small pendant called West at 15', 9', bottom at 64");
        sayTo(now, "small pendant called East at 19', 9', bottom at 64");
        return now;
    }();
    return job;
}

void lightRulesOfThirty(benchmark::State& state) {
    const Project& job = thirtyLights();
    RuleBook lights = *job.library.book;
    std::erase_if(lights.rules, [](const Rule& r) { return !isOf(lightRules(), r); });
    double x = 0;
    const int can = job.scheme().byName("Can 9")->id;
    for (auto _ : state) {
        x = x > 300 ? 0 : x + 3.175;
        Edit e;
        Piece p = *job.scheme().byId(can);
        p.ties.front().distance = p.ties.front().distance + Length::millimetres(x);
        e.acts.emplace_back(PutPiece{std::move(p)});
        const auto after = apply(job, e);
        benchmark::DoNotOptimize(judge(*after->scene, lights, job.judgement));
    }
}
BENCHMARK(lightRulesOfThirty)->Unit(benchmark::kMillisecond);

void directOnTheGrid(benchmark::State& state) {
    const Project& job = thirtyLights();
    const auto scene = *sceneOf(job);
    for (auto _ : state) {
        const LitRoom lit(job, *scene);
        benchmark::DoNotOptimize(gridOf(lit, *job.room, Length::millimetres(250), {}, true)->mean);
    }
}
BENCHMARK(directOnTheGrid)->Unit(benchmark::kMillisecond);

void passedOn(benchmark::State& state) {
    const Project& job = thirtyLights();
    const auto scene = *sceneOf(job);
    for (auto _ : state) {
        LitRoom lit(job, *scene);
        lit.pass();
        benchmark::DoNotOptimize(lit.meanOfAll());
    }
}
BENCHMARK(passedOn)->Unit(benchmark::kMillisecond);

/// A hundred shadow rays, by Embree and by every triangle in turn.
std::vector<Rays::Triangle> trianglesHere() {
    const auto scene = *sceneOf(thirtyLights());
    std::vector<Rays::Triangle> out;
    for (const Face& f : solidsOf(*scene).faces)
        for (const auto& t : f.triangles)
            out.push_back({t, f.normal});
    return out;
}
std::vector<std::pair<Vec3, Vec3>> hundredRays() {
    std::vector<std::pair<Vec3, Vec3>> out;
    for (int i = 0; i < 100; ++i)
        out.push_back({{300.0 + 65 * i, 400.0 + 43 * (i * 7 % 100), 1.0},
                       {6800.0 - 60 * i, 5000.0 - 40 * (i * 3 % 100), 2700.0}});
    return out;
}
void shadowsByEmbree(benchmark::State& state) {
    const Rays rays(trianglesHere());
    const auto all = hundredRays();
    for (auto _ : state) {
        int blocked = 0;
        for (const auto& [from, to] : all)
            blocked += rays.blocked(from, to) ? 1 : 0;
        benchmark::DoNotOptimize(blocked);
    }
}
BENCHMARK(shadowsByEmbree)->Unit(benchmark::kMicrosecond);

void shadowsByEveryTriangle(benchmark::State& state) {
    const auto triangles = trianglesHere();
    const auto all = hundredRays();
    for (auto _ : state) {
        int blocked = 0;
        for (const auto& [from, to] : all) {
            const Vec3 way = to - from;
            for (const auto& t : triangles) {
                const Vec3 e1 = t.corners[1] - t.corners[0];
                const Vec3 e2 = t.corners[2] - t.corners[0];
                const Vec3 p = cross(way, e2);
                const double det = dot(e1, p);
                if (std::abs(det) < 1e-9)
                    continue;
                const Vec3 s = from - t.corners[0];
                const double u = dot(s, p) / det;
                const Vec3 q = cross(s, e1);
                const double v = dot(way, q) / det;
                const double along = dot(e2, q) / det;
                if (u >= 0 && v >= 0 && u + v <= 1 && along > 1e-4 && along < 1 - 1e-4) {
                    ++blocked;
                    break;
                }
            }
        }
        benchmark::DoNotOptimize(blocked);
    }
}
BENCHMARK(shadowsByEveryTriangle)->Unit(benchmark::kMicrosecond);

} // namespace
