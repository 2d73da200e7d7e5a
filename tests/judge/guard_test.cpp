// What no remedy may cost, how heavy a fault weighs, and what does not clash at all.
#include "judge/guard.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Judged judgedOf(const Project& job) {
    return judgeWhole(**sceneOf(job), *job.library.book, job.judgement);
}

Project after(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(said.problem().text());
    return *apply(job, said->edit)->project;
}

bool clashes(const std::vector<std::string>& lines, const char* notes = plainNotes()) {
    for (const Reading& r : readingsOf(jobWith(lines, notes)))
        if (r.rule->id == "clash" && r.toMend())
            return true;
    return false;
}

/// Two chests across the room from wall to wall, so much apart, and a sofa beyond them.
Project acrossTheRoom(double apart) {
    const double wide = 120 - apart;
    return jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                    "dresser 120 x 18 x 40 called West at 60, 100",
                    "dresser " + std::to_string(wide) + " x 18 x 40 called East at " +
                        std::to_string(240 - wide / 2) + ", 100"});
}

} // namespace

TEST(Guard, AClashThatGetsDeeperByALittleIsHarm) {
    const auto before = jobWith({"sofa 84 x 36 at 10', 4'", "armchair 30 x 30 at 10', 81"});
    ASSERT_TRUE(clashes({"sofa 84 x 36 at 10', 4'", "armchair 30 x 30 at 10', 78"}));
    const auto start = jobWith({"sofa 84 x 36 at 10', 4'", "armchair 30 x 30 at 10', 78"});
    EXPECT_TRUE(harms(judgedOf(start), judgedOf(after(start, "armchair at 10', 77"))));
    EXPECT_FALSE(harms(judgedOf(start), judgedOf(after(start, "armchair at 10', 79"))));
    EXPECT_FALSE(harms(judgedOf(start), judgedOf(start)));
    EXPECT_FALSE(harms(judgedOf(before), judgedOf(before)));
}

TEST(Guard, AWayTooNarrowThatGetsNarrowerIsHarm) {
    const auto before = acrossTheRoom(22);
    EXPECT_TRUE(harms(judgedOf(before), judgedOf(after(before, "move East 1 toward wall D"))));
    EXPECT_FALSE(harms(judgedOf(before), judgedOf(before)));
    // What is wide enough may be used up to what is wanted.
    const auto wide = acrossTheRoom(60);
    EXPECT_FALSE(harms(judgedOf(wide), judgedOf(after(wide, "move East 1 toward wall D"))));
}

TEST(Weights, AClashWeighsMoreThanAnythingThatIsOnlyAmiss) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 4'", "armchair 30 x 30 at 10', 78"});
    const auto all = readingsOf(job);
    const auto clash = std::find_if(all.begin(), all.end(), [](const Reading& r) {
        return r.rule->id == "clash" && r.toMend();
    });
    ASSERT_NE(clash, all.end());
    // The weightiest rule is 10.
    EXPECT_GT(weightOf(*clash), 10 * 100 + 99);
}

TEST(Weights, WhatIsFartherOffWeighsMore) {
    const auto gap = [](const char* from) {
        const auto job =
            jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                     std::string("coffee table 48 x 24 ") + from + " from sofa, centred on sofa"});
        return weightOf(*find(readingsOf(job), job, "seat-to-table", "Coffee table"));
    };
    EXPECT_GT(gap("5"), gap("10"));
    EXPECT_GT(gap("10"), gap("11 1/2"));
}

// A chair goes under a table as far as its back, where its seat is low enough.
TEST(Clash, AChairGoesUnderATableAsFarAsItsBack) {
    const auto under = [](const char* inches, const char* seat) {
        return clashes({"dining table 72 x 36 x 30 at 10', 7'",
                        std::string("dining chair 18 x 20 x 36, seat ") + seat + ", turned 180, " +
                            "at 10', " + inches});
    };
    EXPECT_FALSE(under("104", "18")) << "eight inches of it are under";
    EXPECT_TRUE(under("104", "29")) << "its seat is higher than what is clear below";
    EXPECT_TRUE(under("92 1/2", "18")) << "its back is under too";
}

TEST(Clash, WhatStandsOnTopsIsInNobodysWayOnTheFloor) {
    EXPECT_FALSE(clashes({"console 54 x 14 at 10', 7'", "table lamp at 10', 7'"}));
    EXPECT_TRUE(clashes({"console 54 x 14 at 10', 7'", "floor lamp at 10', 7'"}));
}

TEST(Clash, ALightMayHangOverItsOutletAndAPictureMayNot) {
    const char* notes = "ceiling 8'\nwall A 20'\n outlet 10' from left, 60 up\nwall B 15'\nwall "
                        "C 20'\n door 2' from left, 32 wide, hinge right, swings in\nwall D 15'\n";
    EXPECT_FALSE(clashes({"sconce on wall A, at 10', 60"}, notes));
    EXPECT_TRUE(clashes({"picture 20 x 16 on wall A, at 10', 60"}, notes));
}

TEST(Ways, ADaybedIsGotIntoFromItsFront) {
    const auto reached = [](const char* before) {
        const auto job = jobWith({"daybed 80 x 40 x 34 against wall A, centred on wall A",
                                  std::string("sideboard 80 x 18 x 34 at 10', ") + before});
        for (const Reading& r : readingsOf(job))
            if (r.rule->id == "walkway-minor" && r.toMend() &&
                r.goal == pieceTarget(job.scheme().byName("Daybed")->id))
                return false;
        return true;
    };
    EXPECT_TRUE(reached("120"));
    EXPECT_FALSE(reached("55")) << "six inches are left before it, though its ends are free";
}
