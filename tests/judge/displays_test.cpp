// What leans in layers, what may not be drilled, and cushions: bounds, and against rays.
#include "hang/display.h"
#include "jobs.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const std::vector<std::string> consoleAndMirror{
    "console 60 x 14 x 32 against wall B, centred on wall B",
    "mirror 30 x 40 leaned on console, centred on console"};

Project with(std::vector<std::string> more) {
    auto lines = consoleAndMirror;
    lines.insert(lines.end(), more.begin(), more.end());
    return jobWith(lines);
}

const Reading* reading(const Project& job, std::vector<Reading>& kept, const char* rule,
                       const char* piece) {
    kept = readingsOf(job);
    return find(kept, job, rule, piece);
}

/// The share of one's front that is hidden, by rays to a grid of its points.
double byRays(const Leaning& of, const std::vector<Leaning>& before, Vec3 eye) {
    constexpr int across = 400;
    int hidden = 0;
    for (int i = 0; i < across; ++i)
        for (int k = 0; k < across; ++k) {
            const Vec3 at{of.box.low.x + (i + 0.5) / across * of.box.size().x,
                          of.box.low.y + (k + 0.5) / across * of.box.size().y, of.plane};
            hidden += std::any_of(before.begin(), before.end(), [&](const Leaning& b) {
                const double share = (b.plane - at.z) / (eye.z - at.z);
                const double x = at.x + (eye.x - at.x) * share;
                const double y = at.y + (eye.y - at.y) * share;
                return share > 0 && x > b.box.low.x && x < b.box.high.x && y > b.box.low.y &&
                       y < b.box.high.y;
            });
        }
    return static_cast<double>(hidden) / (across * across);
}

} // namespace

TEST(Displays, InFrontOfWhatLeansStandsOnTheSameBoardAndALittleAside) {
    const auto job = with({"picture 16 x 20 in front of mirror"});
    const Piece& p = *job.scheme().byName("Picture");
    EXPECT_EQ(p.hanging.mount, Mount::leaned);
    EXPECT_EQ(p.hanging.before, job.scheme().byName("Mirror")->id);
    const auto b = *boxOn(pieceTarget(p.id), 1, **sceneOf(job));
    EXPECT_NEAR(b.low.y / 25.4, 32, 1e-6);
    EXPECT_NE(poseOf(job, "Picture").at.x, poseOf(job, "Mirror").at.x);
    // On the console still.
    EXPECT_LE(b.high.x / 25.4, 90 + 30 + 1e-6);
    EXPECT_GE(b.low.x / 25.4, 90 - 30 - 1e-6);
    // It keeps that over a save.
    const auto back = readJob(jobText(job), "a.mezzet", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ((*back)->scheme().byName("Picture")->hanging, p.hanging);
}

TEST(Displays, WhatHangsIsNotLeanedBefore) {
    const auto job = jobWith({"mirror 30 x 40 on wall A"});
    EXPECT_NE(refusal(job, "picture 16 x 20 in front of mirror").what.find("doesn't lean"),
              std::string::npos);
    EXPECT_FALSE(refusal(job, "picture 16 x 20 in front of window 1").what.empty());
}

TEST(Displays, TheTallerIsBehindWhereNothingIsSaid) {
    const auto job = with({"picture 16 x 20 called Small leaned on console, centred on console"});
    const auto all = leaningOn(WallsView(**sceneOf(job)), 1);
    ASSERT_EQ(all.size(), 2U);
    EXPECT_EQ(all[0].id, job.scheme().byName("Mirror")->id);
    EXPECT_GT(all[1].foot, all[0].foot);
    // An inch out for eight up: 40 high stands 5 out, and its own thickness.
    EXPECT_NEAR(all[0].foot / 25.4, 5 + 1.5, 1e-6);
    EXPECT_NEAR(all[1].foot / 25.4, 5 + 1.5 + 1.25, 1e-6);
    EXPECT_NEAR(*all[0].board / 25.4, 14, 1e-6);
}

TEST(Displays, WhatIsHiddenIsAsRaysHaveIt) {
    std::mt19937 random(26);
    const auto any = [&](double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(random);
    };
    for (int round = 0; round < 40; ++round) {
        const auto leaning = [&](double plane) {
            Leaning l;
            const Vec2 at{any(0, 900), any(700, 900)};
            l.box.include(at);
            l.box.include(at + Vec2{any(150, 900), any(150, 900)});
            l.plane = plane;
            return l;
        };
        const auto of = leaning(60);
        std::vector<Leaning> before;
        for (int i = 0; i < round % 4 + 1; ++i)
            before.push_back(leaning(90 + 35.0 * i));
        const Vec3 eye{any(-500, 1500), any(1000, 1700), any(1200, 4000)};
        EXPECT_NEAR(hiddenShare(of, before, eye), byRays(of, before, eye), 0.006) << round;
    }
    EXPECT_EQ(hiddenShare({}, {}, {0, 0, 1000}), 0);
}

TEST(Displays, AThirdMayBeHiddenAndNoMore) { // common practice
    std::vector<Reading> kept;
    const auto share = [&](const char* wide) {
        const auto job = with({std::string("picture ") + wide +
                               " x 20 leaned on console, in front of mirror, centred on mirror"});
        const auto* r = reading(job, kept, "layered", "Mirror");
        return r == nullptr ? std::pair(0.0, Verdict::note) : std::pair(r->value.value, r->verdict);
    };
    // Half as high: two thirds as wide hides a third of it, and a little more, being nearer.
    EXPECT_EQ(share("18").second, Verdict::right);
    EXPECT_EQ(share("21").second, Verdict::loose);
    EXPECT_NEAR(share("18").first, 18.0 * 20 / (30 * 40), 0.06);
}

TEST(Displays, WhatHidesTooMuchIsSetAside) {
    const auto job = with({"picture 24 x 24 leaned on console, in front of mirror, centred on "
                           "mirror"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "layered", "Mirror");
    ASSERT_NE(r, nullptr);
    ASSERT_EQ(r->verdict, Verdict::loose);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto then = readingsOf(*after->project);
    EXPECT_EQ(find(then, *after->project, "layered", "Mirror")->verdict, Verdict::right)
        << remedy->line;
}

TEST(Displays, AFootStaysOnItsBoard) { // common practice: an inch out for eight up
    std::vector<Reading> kept;
    const auto verdict = [&](const char* deep) {
        const auto job = jobWith(
            {std::string("console 60 x ") + deep + " x 32 against wall B, centred on wall B",
             "mirror 30 x 40 leaned on console"});
        return reading(job, kept, "display-depth", "Mirror")->verdict;
    };
    EXPECT_EQ(verdict("6 5/8"), Verdict::right);
    EXPECT_EQ(verdict("6 1/2"), Verdict::right) << "5 out and 1 1/2 thick";
    EXPECT_EQ(verdict("6 3/8"), Verdict::tight);
}

TEST(Displays, WhatSitsTooLowIsPutOnARiser) {
    const auto job = with({"picture 16 x 10 in front of mirror"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "display-low", "Picture");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value, 0.25, 1e-6);
    ASSERT_EQ(r->verdict, Verdict::tight);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto then = readingsOf(*after->project);
    EXPECT_EQ(find(then, *after->project, "display-low", "Picture")->verdict, Verdict::right);
    const auto band = [&](const char* high) {
        const auto one = with({fmt::format("picture 16 x {} in front of mirror", high)});
        const auto readings = readingsOf(one);
        return find(readings, one, "display-low", "Picture")->verdict;
    };
    EXPECT_EQ(band("16"), Verdict::right);
    EXPECT_EQ(band("15 7/8"), Verdict::tight);
    EXPECT_EQ(band("34"), Verdict::right);
    EXPECT_EQ(band("34 1/8"), Verdict::loose);
}

TEST(NoHoles, WhatHangsThereIsToldAndLeanedInstead) {
    const auto job = jobWith({"console 60 x 14 x 32 against wall B, centred on wall B",
                              "picture 20 x 16 on wall B, centred on wall B",
                              "picture 20 x 16 called Mill on wall C", "no holes in wall B"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "no-holes", "Picture");
    ASSERT_NE(r, nullptr);
    EXPECT_TRUE(r->toMend());
    EXPECT_EQ(find(all, job, "no-holes", "Mill"), nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    EXPECT_EQ(remedy->line, "Picture leaned on Console");
    const auto after = apply(job, remedy->edit);
    const auto then = readingsOf(*after->project);
    EXPECT_EQ(find(then, *after->project, "no-holes", "Picture"), nullptr);
    // Kept with the job, and taken back.
    const auto back = readJob(jobText(job), "a.mezzet", library());
    ASSERT_TRUE(back);
    EXPECT_EQ((*back)->scheme().dressing.noHoles, std::vector<int>{1});
    const auto free = apply(job, readLine("holes allowed in wall B", job)->edit);
    EXPECT_TRUE(free->project->scheme().dressing.noHoles.empty());
    EXPECT_FALSE(refusal(job, "no holes in console").what.empty());
}

TEST(Cushions, LieOnSeatsAndLeaveRoomToSit) { // common practice
    std::vector<Reading> kept;
    const auto verdict = [&](int count) {
        auto lines =
            std::vector<std::string>{"sofa 84 x 36 x 34 against wall B, centred on wall B"};
        for (int i = 0; i < count; ++i)
            lines.push_back(i % 3 == 2 ? "another cushion on sofa, right"
                                       : "another cushion on sofa, left");
        const auto job = jobWith(lines);
        return reading(job, kept, "cushions", "Sofa")->verdict;
    };
    EXPECT_EQ(verdict(1), Verdict::right);
    EXPECT_EQ(verdict(3), Verdict::right);
    EXPECT_EQ(kept.empty(), false);
    EXPECT_EQ(verdict(4), Verdict::loose);
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall B, centred on wall B"});
    EXPECT_NE(refusal(job, "vase on sofa").what.find("only cushions and throws"),
              std::string::npos);
    // They lie on the cushion of the seat, before its back.
    const auto there =
        jobWith({"sofa 84 x 36 x 34 against wall B, centred on wall B", "cushion on sofa, left"});
    const auto body = bodyOf(**sceneOf(there), there.scheme().byName("Cushion")->id);
    ASSERT_TRUE(body);
    EXPECT_NEAR(body->foot.z, there.scheme().byName("Sofa")->heights.seat->mm(), 1e-6);
}
