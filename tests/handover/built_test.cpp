// What was built against what was planned.
#include "site/built.h"

#include "edit/handed_over.h"
#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Day then = *readDay("2027-04-01");

BuiltCheck checked(const Project& job, const char* said) {
    const auto scene = *sceneOf(job);
    const auto mark = readBuilt(said, job, *scene, then);
    if (!mark)
        throw std::runtime_error(std::string(said) + ": " + mark.problem().text());
    const auto c = checkBuilt(job, *scene, *mark);
    if (!c)
        throw std::runtime_error(std::string(said) + ": " + c.problem().text());
    return *c;
}

/// A wall without windows, so that art over the sofa is right.
const char* roomNotes() {
    return "room Plain\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n door 2' from left, 32 "
           "wide, 80 high, hinge right, swings in\nwall D 15'\n";
}

Project hung() {
    return jobWith({"sofa 84 x 36 x 34 against wall A, centred on wall A",
                    "coffee table 48 x 24 at 10', 7'",
                    "picture 40 x 30 on wall A, centred on sofa, bottom at 39, on two rings called "
                    "harbour",
                    "pendant centred on room, bottom at 80"},
                   roomNotes());
}

} // namespace

TEST(Built, IsHeldAgainstWhatIsPlanned) {
    const auto job = hung();
    // Two rings a quarter of the way down of 30 in: 7 1/2 under its top at 69.
    const auto hook = checked(job, "hook of harbour 61 1/2 up");
    EXPECT_NEAR(hook.mark.planned.inInches(), 61.5, 0.01);
    EXPECT_TRUE(hook.agrees);
    EXPECT_NEAR(checked(job, "bottom of harbour 39").mark.planned.inInches(), 39, 1e-6);
    EXPECT_NEAR(checked(job, "top of harbour 69").mark.planned.inInches(), 69, 1e-6);
    EXPECT_NEAR(checked(job, "centre of harbour 54").mark.planned.inInches(), 54, 1e-6);
    EXPECT_NEAR(checked(job, "bottom of pendant 80").mark.planned.inInches(), 80, 1e-6);
    // The table's middle is 7' from A, its front edge 12 in nearer; the sofa's front 36 from A.
    EXPECT_NEAR(checked(job, "coffee table 36 from sofa").mark.planned.inInches(), 36, 1e-6);
    EXPECT_NEAR(checked(job, "coffee table 72 from wall A").mark.planned.inInches(), 72, 1e-6);
    // Wall C is 15' away: 180 less 84 less half its depth.
    EXPECT_NEAR(checked(job, "coffee table 84 from wall C").mark.planned.inInches(), 84, 1e-6);
    EXPECT_NEAR(checked(job, "harbour 100 from wall B").mark.planned.inInches(), 100, 1e-6);
    EXPECT_NEAR(checked(job, "top of coffee table 17").mark.planned.inInches(), 17, 1);
}

TEST(Built, MattersWhereAReadingHasAnotherVerdict) {
    const auto job = hung();
    // Art 5 in over a sofa's back is right; 14 is not, and a quarter of an inch is no matter.
    EXPECT_FALSE(checked(job, "bottom of harbour 39 1/4").matters);
    const auto high = checked(job, "bottom of harbour 48");
    EXPECT_TRUE(high.matters);
    EXPECT_NE(high.why.find("arbour"), std::string::npos);
    EXPECT_FALSE(high.askAgain);
    // A hook so much higher is the same thing.
    EXPECT_TRUE(checked(job, "hook of harbour 70 1/2 up").matters);
    // A way off that nobody builds is asked about.
    EXPECT_TRUE(checked(job, "bottom of harbour 80").askAgain);
    EXPECT_FALSE(checked(job, "bottom of harbour 58 1/2").askAgain); // 495 mm
}

TEST(Built, IsKeptAndTakenAsItIs) {
    const auto job = hung();
    const auto scene = *sceneOf(job);
    const auto mark = *readBuilt("coffee table 40 from sofa", job, *scene, then);
    const auto kept = *apply(job, {"", {SetHandover{withBuilt(job, {mark})}}, {}})->project;
    const auto back = readJob(jobText(kept), "a", library());
    ASSERT_TRUE(back) << back.problem().text();
    ASSERT_EQ((*back)->handover->built.size(), 1U);
    EXPECT_EQ((*back)->handover->built[0], mark);
    // Measured again, the newer holds.
    const auto newer = *readBuilt("coffee table 38 from sofa", job, *scene, then);
    EXPECT_EQ(withBuilt(kept, {newer}).built.size(), 1U);
    for (const char* said :
         {"coffee table 40 from sofa", "coffee table 60 from wall A", "bottom of harbour 45",
          "hook of harbour 70 up", "hook 2 of harbour 130 from left", "bottom of pendant 70",
          "top of coffee table 19"}) {
        const auto m = *readBuilt(said, job, *scene, then);
        const auto e = asItIs(job, *scene, m);
        ASSERT_TRUE(e) << said << e.problem().text();
        const auto now = apply(job, *e);
        ASSERT_TRUE(now) << said << now.problem().text();
        const auto again = checkBuilt(*now->project, *now->scene, m);
        ASSERT_TRUE(again) << said;
        EXPECT_NEAR(again->mark.planned.mm(), m.built.mm(), 0.01) << said;
        EXPECT_TRUE(again->agrees) << said;
    }
}

TEST(Built, IsRefusedWhereThereIsNoSuchMeasure) {
    const auto job = hung();
    const auto scene = *sceneOf(job);
    for (const char* said :
         {"", "hook of sofa 10 up", "hook 9 of harbour 60 up", "hook of harbour 60", "sofa 10",
          "sofa 10 from nowhere", "bottom of sofa 3", "sofa 10 from harbour",
          "nothing 5 from wall A", "harbour 20 from wall C", "sofa 10 from sofa",
          "sofa 10 from wall A and more"}) {
        const auto m = readBuilt(said, job, *scene, then);
        EXPECT_FALSE(m) << said;
        if (!m)
            EXPECT_FALSE(m.problem().what.empty());
    }
}
