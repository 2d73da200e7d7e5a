// Dressing: the readings of a large unit, dressing one from the stock, and the colours of a
// picture; beside a plain loop that puts every pixel to the nearest of the same colours.
#include "jobs.h"

#include "colour/families.h"
#include "dress/solve.h"
#include "judge/judging.h"

#include <benchmark/benchmark.h>
#include <fmt/format.h>

#include <random>

using namespace mezzet;

namespace {

/// A unit of 20 openings, and a stock of 230.
const Project& tallShelves() {
    static const Project job = [] {
        Project now = **newProject(
            library(),
            "ceiling 9'\nwall A 24'\nwall B 18'\n door 5' from left, 36 wide, hinge left, "
            "swings in\nwall C 24'\nwall D 18'");
        sayTo(now, "bookcase 120 x 12 x 96 called Shelves against wall A, 4 shelves, uprights 3");
        sayTo(now, "palette cream and navy, accent brass");
        for (const char* line :
             {"stock 60 cream books 9 x 6 x 1", "stock 60 navy books 10 x 7 x 1 1/4",
              "stock 30 linen books 8 x 5 1/2 x 1", "stock 20 brass spheres 4 dia x 4",
              "stock 12 brass boxes 6 x 4 x 3", "stock 16 white vases 6 x 6 x 9",
              "stock 10 cream bowls 8 dia x 4", "stock 12 oak boxes 9 x 6 x 4",
              "stock 10 cream prints 8 x 10"})
            sayTo(now, line);
        return now;
    }();
    return job;
}

const Project& dressedShelves() {
    static const Project job = [] {
        const Project& bare = tallShelves();
        const auto scene = sceneOf(bare);
        return *apply(bare, dressUnits(bare, **scene, {})->front().edit)->project;
    }();
    return job;
}

void readingsOfAUnit(benchmark::State& state) {
    const Project& job = dressedShelves();
    const auto scene = *sceneOf(job);
    RuleBook book = *job.library.book;
    std::erase_if(book.rules, [](const Rule& r) { return !isOf(dressRules(), r); });
    std::size_t things = 0;
    for (const auto& u : dressedUnits(*scene))
        for (const auto& s : u.surfaces)
            things += s.things.size();
    for (auto _ : state)
        benchmark::DoNotOptimize(judge(*scene, book, job.judgement));
    state.counters["things"] = static_cast<double>(things);
}
BENCHMARK(readingsOfAUnit)->Unit(benchmark::kMillisecond);

/// 12 openings from a stock of 150.
void dressFromTheStock(benchmark::State& state) {
    static const Project job = [] {
        Project now = **newProject(library(), "ceiling 9'\nwall A 24'\nwall B 18'\nwall C 24'\n"
                                              "wall D 18'");
        sayTo(now, "bookcase 72 x 12 x 84 against wall A, 5 shelves, uprights 1");
        sayTo(now, "palette cream and navy, accent brass");
        for (const char* line :
             {"stock 40 cream books 9 x 6 x 1", "stock 30 navy books 10 x 7 x 1 1/4",
              "stock 20 linen books 8 x 5 1/2 x 1", "stock 10 red books 9 x 6 x 1",
              "stock 6 brass spheres 4 dia x 4", "stock 6 brass boxes 6 x 4 x 3",
              "stock 8 white vases 6 x 6 x 9", "stock 6 cream bowls 8 dia x 4",
              "stock 4 navy ginger jars 7 dia x 9", "stock 6 oak boxes 9 x 6 x 4",
              "stock 6 cream prints 8 x 10", "stock 8 ivory battery candles 3 dia x 5"})
            sayTo(now, line);
        return now;
    }();
    const auto scene = *sceneOf(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(dressUnits(job, *scene, {}));
}
BENCHMARK(dressFromTheStock)->Unit(benchmark::kMillisecond);

/// Twelve megapixels of some colours and noise.
const std::vector<std::uint32_t>& manyPixels() {
    static const std::vector<std::uint32_t> all = [] {
        std::mt19937 random(1);
        const std::uint32_t of[] = {0xff1e2a4a, 0xfff0e6c8, 0xffb69248, 0xff9eaa8e, 0xffbe282c};
        std::vector<std::uint32_t> out(12000000);
        for (auto& p : out)
            p = of[random() % 5] + (random() & 0x050505);
        return out;
    }();
    return all;
}

void coloursOfAPicture(benchmark::State& state) {
    const auto& pixels = manyPixels();
    for (auto _ : state)
        benchmark::DoNotOptimize(dominantColours(pixels, 6));
}
BENCHMARK(coloursOfAPicture)->Unit(benchmark::kMillisecond);

void coloursPixelByPixel(benchmark::State& state) {
    const auto& pixels = manyPixels();
    std::vector<Lab> middles;
    for (const Patch& p : dominantColours(pixels, 6))
        middles.push_back(labOf(p.colour));
    for (auto _ : state) {
        std::vector<std::size_t> counts(middles.size(), 0);
        for (const std::uint32_t p : pixels) {
            const Lab lab =
                labOf({static_cast<std::uint8_t>(p >> 16), static_cast<std::uint8_t>(p >> 8),
                       static_cast<std::uint8_t>(p)});
            std::size_t best = 0;
            double least = 1e9;
            for (std::size_t k = 0; k < middles.size(); ++k) {
                const double d =
                    std::hypot(lab.l - middles[k].l, lab.a - middles[k].a, lab.b - middles[k].b);
                if (d < least) {
                    least = d;
                    best = k;
                }
            }
            ++counts[best];
        }
        benchmark::DoNotOptimize(counts);
    }
}
BENCHMARK(coloursPixelByPixel)->Unit(benchmark::kMillisecond)->Iterations(1);

} // namespace
