// Remedies that know: chains of moves, and mending all that can be.
#include "jobs.h"
#include "judge/say.h"
#include "rounds.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

int droppedRuns() {
    return rounds(60, 600);
}

/// A room with some furniture dropped anywhere.
Project dropped(unsigned seed) {
    std::mt19937 random(seed);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    std::vector<std::string> lines;
    const char* kinds[] = {"sofa",    "armchair",   "coffee table", "side table",
                           "dresser", "floor lamp", "trunk",        "low bookcase"};
    for (int i = 0; i < 7; ++i)
        lines.push_back(fmt::format("{} called Piece {} at {}in, {}in, turned {}", kinds[any(0, 7)],
                                    i, any(30, 210), any(30, 150), any(0, 3) * 90));
    return jobWith(lines);
}

bool worseThan(const Reading& before, const Reading& now) {
    if (!now.toMend())
        return false;
    if (!before.toMend())
        return true;
    const double spare = 0.03;
    return now.verdict == Verdict::tight ? now.value.value < before.value.value - spare
                                         : now.value.value > before.value.value + spare;
}

} // namespace

TEST(Remedies, AfterApplyingTheReadingIsInItsBandAndNothingUntoldGotWorse) {
    int tried = 0;
    for (int seed = 0; seed < droppedRuns(); ++seed) {
        const auto job = dropped(static_cast<unsigned>(seed));
        const auto scene = *sceneOf(job);
        const auto before = readingsOf(job);
        for (const auto& r : before) {
            if (!r.toMend())
                continue;
            const auto remedy = remedyFor(r, job, *scene, before);
            if (!remedy)
                continue;
            ++tried;
            const auto after = apply(job, remedy->edit);
            ASSERT_TRUE(after) << remedy->line;
            const auto now = readingsOf(*after->project);
            std::size_t worse = 0;
            for (const auto& n : now) {
                if (n.sameAs(r)) {
                    EXPECT_FALSE(n.toMend()) << seed << ": " << remedy->line;
                    continue;
                }
                const auto old = std::find_if(before.begin(), before.end(),
                                              [&](const Reading& b) { return b.sameAs(n); });
                worse +=
                    old == before.end() ? (n.toMend() ? 1U : 0U) : (worseThan(*old, n) ? 1U : 0U);
            }
            EXPECT_LE(worse, remedy->upsets.size()) << seed << ": " << remedy->line;
            // It can be typed.
            const auto said = readLine(remedy->line, job);
            EXPECT_TRUE(said) << remedy->line;
        }
    }
    EXPECT_GT(tried, droppedRuns());
}

TEST(Remedies, LookedForSideBySideTheyAreTheSame) {
    for (unsigned seed = 0; seed < 6; ++seed) {
        const auto job = dropped(seed);
        const auto scene = *sceneOf(job);
        const auto before = judgeWhole(*scene, *job.library.book, job.judgement);
        int told = 0;
        const auto all = remediesFor(before, job, *scene, {}, [&told] { ++told; });
        ASSERT_EQ(all.size(), before.readings.size());
        EXPECT_EQ(told, static_cast<int>(all.size()));
        for (std::size_t i = 0; i < all.size(); ++i) {
            ASSERT_TRUE(all[i]);
            const auto alone = remedyFor(before.readings[i], job, *scene, before);
            ASSERT_EQ(all[i]->has_value(), alone.has_value());
            if (alone) {
                EXPECT_EQ((*all[i])->line, alone->line);
                EXPECT_EQ((*all[i])->upsets, alone->upsets);
            }
        }
    }
}

TEST(Remedies, StoppedTheyAreNotSaidToBeNone) {
    const auto job = dropped(1);
    const auto scene = *sceneOf(job);
    const auto before = judgeWhole(*scene, *job.library.book, job.judgement);
    const auto all = remediesFor(before, job, *scene, [] { return true; });
    for (std::size_t i = 0; i < all.size(); ++i)
        EXPECT_EQ(all[i].has_value(), !before.readings[i].toMend());
}

TEST(Remedies, ASecondMoveMendsWhatTheFirstUpset) {
    // A chest stands in the way of a sofa that must come off the chair it overlaps.
    const auto job = jobWith({"sofa 84 x 36 x 34 at 120in, 60in",
                              "coffee table 48 x 26 x 17 6 from sofa, "
                              "centred on sofa",
                              "trunk 48 x 20 x 20 at 120in, 130in"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seat-to-table", "Coffee table", "Sofa");
    ASSERT_NE(r, nullptr);
    ASSERT_TRUE(r->toMend());
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    const auto said = readLine(remedy->line, job);
    ASSERT_TRUE(said) << remedy->line;
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    EXPECT_LT(weightOf(readingsOf(*after->project)), weightOf(all));
}

TEST(Chains, AreSaidInOneLineAndUndoneAsOne) {
    const auto job = jobWith({"sofa at 10', 5'", "armchair at 5', 10'"});
    const auto said =
        readLine("move sofa 6 left; then move armchair 4 right; then sofa seat 17", job);
    ASSERT_TRUE(said) << said.problem().text();
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    EXPECT_NEAR(poseOf(*after->project, "Sofa").at.x, 3048 - 152.4, 1e-6);
    EXPECT_NEAR(poseOf(*after->project, "Armchair").at.x, 1524 + 101.6, 1e-6);
    EXPECT_NEAR(after->project->scheme().byName("Sofa")->heights.seat->inInches(), 17, 1e-9);
    const auto bad = readLine("move sofa 6 left; then move elephant 4 right", job);
    ASSERT_FALSE(bad);
    EXPECT_GT(bad.problem().column, 18) << "it points into the second part";
}

TEST(MendAll, LeavesLessToMendAndUpsetsLessThanItMends) {
    int mended = 0;
    for (int seed = 100; seed < 100 + droppedRuns() / 3; ++seed) {
        const auto job = dropped(static_cast<unsigned>(seed));
        MendAsked asked;
        asked.largestMove = Length::inches(30);
        const auto m = mendAll(job, asked);
        EXPECT_EQ(m.lines.size(), m.why.size());
        EXPECT_EQ(m.lines.size(), m.but.size());
        EXPECT_LE(m.after, m.before);
        if (m.lines.empty()) {
            EXPECT_TRUE(m.edit.acts.empty());
            continue;
        }
        ++mended;
        const auto before = readingsOf(job);
        const auto after = apply(job, m.edit);
        ASSERT_TRUE(after) << seed;
        const auto now = readingsOf(*after->project);
        EXPECT_LT(weightOf(now), weightOf(before)) << seed;
        int left = 0;
        for (const auto& r : now)
            left += r.toMend() ? 1 : 0;
        EXPECT_EQ(left, m.after) << seed;
        const auto was = *sceneOf(job);
        for (const auto& p : was->floor.placed) {
            const auto* q = after->scene->byId(p.id);
            ASSERT_NE(q, nullptr);
            EXPECT_LE(norm(q->pose.at - p.pose.at), Length::inches(30).mm() + 0.01) << seed;
        }
    }
    EXPECT_GT(mended, droppedRuns() / 12);
}

TEST(MendAll, LeavesLockedPiecesAndCanBeStopped) {
    const auto job =
        jobWith({"sofa 84 x 36 x 34 at 10', 5'", "coffee table 6 from sofa, centred on sofa",
                 "lock coffee table", "lock sofa"});
    const auto m = mendAll(job, {});
    const auto after = apply(job, m.edit);
    ASSERT_TRUE(after);
    for (const char* name : {"Sofa", "Coffee table"})
        EXPECT_EQ(poseOf(*after->project, name).at.x, poseOf(job, name).at.x);
    MendAsked stop;
    stop.goesOn = [](int, int) { return false; };
    const auto stopped = mendAll(dropped(4), stop);
    EXPECT_TRUE(stopped.lines.empty());
}

TEST(MendAll, IsSaidOnTheLine) {
    const auto job =
        jobWith({"sofa 84 x 36 x 34 at 10', 5'", "coffee table 6 from sofa, centred on sofa"});
    const auto said = readSaid("mend all within 18", job);
    ASSERT_TRUE(said) << said.problem().text();
    EXPECT_NE(said->preview.find("Mends"), std::string::npos);
    EXPECT_TRUE(readSaid("mend coffee table", job));
    EXPECT_FALSE(readSaid("mend elephant", job));
    EXPECT_FALSE(readSaid("mend all within nonsense", job));
    EXPECT_FALSE(readSaid("mend all", jobWith({})));
    EXPECT_TRUE(readSaid("sofa seat 18", job)) << "all other lines are read as ever";
}

TEST(Weight, WhatCantBeComesBeforeWhatIsAShadeOff) {
    const auto job = jobWith({"trunk at 10', 7'", "trunk called Other at 10', 7' 4\"",
                              "sofa 84 x 36 x 34 at 6', 12', turned 180",
                              "coffee table 20 from sofa, centred on sofa"});
    double clash = 0;
    double gap = 0;
    for (const auto& r : readingsOf(job)) {
        if (r.rule->id == "clash")
            clash = std::max(clash, weightOf(r));
        if (r.rule->id == "seat-to-table")
            gap = weightOf(r);
        if (!r.toMend())
            EXPECT_EQ(weightOf(r), 0);
    }
    EXPECT_GT(clash, gap);
    EXPECT_GT(gap, 0);
}
