// What must hold for any scene: remedies do what they promise, judging twice says the same, and a
// reading's witnesses are as far apart as its value.
#include "jobs.h"
#include "rounds.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A scene of random pieces, some tied to others, in the plain room.
Project randomJob(unsigned seed) {
    std::mt19937 random(seed);
    const auto pick = [&](double low, double high) {
        return std::round(std::uniform_real_distribution<double>(low, high)(random));
    };
    Project job = jobWith({});
    const auto attempt = [&](const std::string& line) {
        if (auto said = readLine(line, job))
            if (auto next = apply(job, said->edit))
                job = *next->project;
    };
    attempt(
        fmt::format("sofa {} x 36 against wall {}, centred", pick(60, 96), "ABCD"[random() % 4]));
    attempt(fmt::format("coffee table {} x 26 x {} {} from sofa, centred on sofa", pick(36, 64),
                        pick(14, 24), pick(6, 26)));
    attempt(fmt::format("armchair at {}in, {}in, turned {}", pick(20, 220), pick(20, 160),
                        pick(0, 359)));
    attempt(
        fmt::format("round table {} at {}in, {}in", pick(30, 60), pick(30, 210), pick(30, 150)));
    for (const char* side : {"in front of", "behind", "left of", "right of"})
        attempt(fmt::format("add dining chair {} {} round table, centred on round table",
                            pick(0, 4), side));
    attempt(fmt::format("rug under sofa and coffee table"));
    attempt(fmt::format("bookcase in corner {}", random() % 2 == 0 ? "AB" : "CD"));
    attempt(fmt::format("trunk at {}in, {}in", pick(10, 230), pick(10, 170)));
    return job;
}

int sceneRuns() {
    return rounds(40, 400);
}

} // namespace

TEST(RandomScenes, ARemedyPutsItsReadingRightAndOwnsUpToWhatItUpsets) {
    int tried = 0;
    int clean = 0;
    for (int seed = 0; seed < sceneRuns(); ++seed) {
        const auto job = randomJob(static_cast<unsigned>(seed));
        const auto scene = *sceneOf(job);
        const auto all = readingsOf(job);
        for (const auto& r : all) {
            const auto remedy = remedyFor(r, job, *scene, all);
            if (!r.toMend()) {
                EXPECT_FALSE(remedy);
                continue;
            }
            if (!remedy)
                continue;
            ++tried;
            const auto after = apply(job, remedy->edit);
            ASSERT_TRUE(after) << remedy->line;
            const auto now = readingsOf(*after->project);
            for (const auto& x : now)
                if (x.sameAs(r))
                    EXPECT_EQ(x.verdict, Verdict::right) << "seed " << seed << ": " << remedy->line;
            if (!remedy->upsets.empty())
                continue;
            ++clean;
            // It declared that it harms nothing: nothing that was right is wrong now.
            for (const auto& x : now) {
                if (!x.toMend() || x.sameAs(r))
                    continue;
                const bool before = std::any_of(all.begin(), all.end(), [&](const Reading& b) {
                    return b.sameAs(x) && b.toMend();
                });
                EXPECT_TRUE(before)
                    << "seed " << seed << ": " << remedy->line << " upsets " << x.rule->id;
            }
        }
    }
    EXPECT_GT(tried, sceneRuns());
    EXPECT_GT(clean, tried / 4);
}

TEST(RandomScenes, JudgingTwiceSaysTheSame) {
    for (int seed = 0; seed < sceneRuns(); ++seed) {
        const auto job = randomJob(static_cast<unsigned>(seed));
        const auto a = readingsOf(job);
        const auto b = readingsOf(job);
        ASSERT_EQ(a.size(), b.size());
        for (std::size_t i = 0; i < a.size(); ++i) {
            EXPECT_TRUE(a[i].sameAs(b[i]));
            EXPECT_EQ(a[i].value, b[i].value);
        }
    }
}

TEST(RandomScenes, WitnessesAreAsFarApartAsTheGapTheyWitness) {
    for (int seed = 0; seed < sceneRuns(); ++seed) {
        const auto job = randomJob(static_cast<unsigned>(seed));
        for (const auto& r : readingsOf(job)) {
            const std::string_view id = r.rule->id;
            const bool gap = id == "seat-to-table" || id == "dining-to-wall" ||
                             id == "chair-pull-out" || id == "clash";
            if (gap && r.value.value > 0)
                EXPECT_NEAR(norm(r.at[1] - r.at[0]), r.value.value, 0.01)
                    << "seed " << seed << ", " << id;
        }
    }
}

TEST(RandomScenes, EveryReadingHasItsWords) {
    for (int seed = 0; seed < sceneRuns(); ++seed) {
        const auto job = randomJob(static_cast<unsigned>(seed));
        for (const auto& r : readingsOf(job)) {
            for (const auto& text : {titleOf(r, job.wording()), whyOf(r, job.wording())}) {
                EXPECT_FALSE(text.empty());
                EXPECT_EQ(text.find('{'), std::string::npos) << text;
            }
            EXPECT_EQ(namesOf(r, job.wording()).empty(),
                      r.piece == 0 && r.also == 0 && r.other.is != Target::Is::piece);
            EXPECT_FALSE(subjectOf(r, job.wording()).empty());
        }
    }
}

TEST(RandomScenes, ValuesDoNotDependOnWhichWallIsCalledA) {
    // The same furniture in the same room taped from the next wall round: turned a quarter.
    const char* from[] = {"wall A 20'\nwall B 15'\nwall C 20'\nwall D 15'",
                          "wall A 15'\nwall B 20'\nwall C 15'\nwall D 20'"};
    const char* wall[] = {"A", "D"};
    std::vector<std::vector<double>> values;
    for (int i = 0; i < 2; ++i) {
        const auto job =
            jobWith({fmt::format("sofa against wall {}, centred", wall[i]),
                     "coffee table 11 from sofa, centred on sofa",
                     "armchair 9 left of coffee table, centred on coffee table, facing "
                     "coffee table"},
                    from[i]);
        values.emplace_back();
        for (const auto& r : readingsOf(job))
            values.back().push_back(r.value.value);
    }
    ASSERT_EQ(values[0].size(), values[1].size());
    for (std::size_t i = 0; i < values[0].size(); ++i)
        EXPECT_NEAR(values[0][i], values[1][i], 1e-6);
}
