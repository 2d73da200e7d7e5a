// Several pieces that are there, placed by one line: side by side, as they hung, and no step twice.
// Against places worked by hand.
#include "edit/moved_together.h"
#include "geometry/gap.h"
#include "scheme/on_wall.h"

#include "jobs.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project doneTo(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    if (!said)
        return job;
    const auto done = apply(job, said->edit);
    EXPECT_TRUE(done) << line;
    return done ? *done->project : job;
}
Vec2 at(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4; // inches
}
bool overlap(const Project& job, const char* one, const char* other) {
    const auto scene = *sceneOf(job);
    const auto shape = [&](const char* n) {
        return scene->fromAbove(job.scheme().byName(n)->id)->shape;
    };
    return gapBetween(shape(one), shape(other)).depth > quiet;
}

} // namespace

TEST(MovedTogether, TwoOppositeASofaStandSideBySideAboutItsMiddle) {
    // The sofa's middle is 120 inches along wall A.
    const auto job = jobWith({"sofa 84 x 36 x 34 on wall A, centred on wall A",
                              "armchair 30 x 33 on wall C, 60 from right corner",
                              "another armchair 30 x 33 on wall C, 20 from left corner"});
    const auto moved = doneTo(job, "put the armchairs opposite the sofa");
    EXPECT_FALSE(overlap(moved, "Armchair", "Armchair 2"));
    EXPECT_NEAR((at(moved, "Armchair").x + at(moved, "Armchair 2").x) / 2, 120, 1e-6);
    EXPECT_NEAR(at(moved, "Armchair").y, at(moved, "Armchair 2").y, 1e-6);
    const double between = std::abs(at(moved, "Armchair").x - at(moved, "Armchair 2").x) - 30;
    EXPECT_NEAR(between, job.library.book->habit("seats-apart").inInches(), 1e-6);
    // Whoever stood on the left goes on standing there.
    EXPECT_EQ(at(job, "Armchair").x < at(job, "Armchair 2").x,
              at(moved, "Armchair").x < at(moved, "Armchair 2").x);
}

TEST(MovedTogether, AlongAWallTheyStandBesideEachOther) {
    const auto job = jobWith({"armchair 30 x 33 on wall B, 20 from left corner",
                              "another armchair 30 x 33 on wall B, 80 from left corner"});
    const auto moved = doneTo(job, "move both armchairs to wall A");
    EXPECT_FALSE(overlap(moved, "Armchair", "Armchair 2"));
    for (const char* name : {"Armchair", "Armchair 2"})
        EXPECT_NEAR(at(moved, name).y, 16.5, 1e-6) << name; // half its depth off the wall
}

TEST(MovedTogether, PicturesGoToAnotherWallAsTheyHang) {
    const auto job = jobWith({"picture 20 x 16 on wall A, 24 from left corner, centre at 58",
                              "picture 12 x 10 on wall A, 4 right of picture, centre at 64"});
    const Vec2 before = at(job, "Picture 2") - at(job, "Picture");
    const auto moved = doneTo(job, "move the pictures to wall D");
    for (const char* name : {"Picture", "Picture 2"})
        EXPECT_EQ(moved.scheme().byName(name)->wall(), 3) << name;
    const Vec2 now = at(moved, "Picture 2") - at(moved, "Picture");
    EXPECT_NEAR(now.x, before.x, 1e-6);
    EXPECT_NEAR(now.y, before.y, 1e-6);
    EXPECT_NEAR(at(moved, "Picture").y, 58, 1e-6);
    // About the middle of that wall, 15 feet long: 36 inches of them in all.
    EXPECT_NEAR(at(moved, "Picture").x - 10, 90 - 18, 1e-6);
}

TEST(MovedTogether, WhatGoesAlongIsMovedOnce) {
    const auto job = jobWith({"dining table 72 x 40 at 10', 7'", "4 chairs around dining table"});
    const auto moved = doneTo(job, "move the table and the chairs 12 toward door 1");
    const Vec2 table = at(moved, "Dining table") - at(job, "Dining table");
    EXPECT_NEAR(std::hypot(table.x, table.y), 12, 1e-6);
    for (const char* chair : {"Dining chair 1", "Dining chair 2", "Dining chair 3"}) {
        const Vec2 step = at(moved, chair) - at(job, chair);
        EXPECT_NEAR(step.x, table.x, 1e-6) << chair;
        EXPECT_NEAR(step.y, table.y, 1e-6) << chair;
    }
}

TEST(MovedTogether, WhatIsTurnedTogetherStaysWhereItIs) {
    const auto job =
        jobWith({"armchair 30 x 33 at 8', 7'", "another armchair 30 x 33, 12 right of armchair",
                 "plant in corner BC"});
    const auto turned = doneTo(job, "face armchair and armchair 2 to the plant");
    for (const char* name : {"Armchair", "Armchair 2"}) {
        const Vec2 step = at(turned, name) - at(job, name);
        EXPECT_LT(std::hypot(step.x, step.y), 1e-6) << name;
        // Each looks at it.
        const Pose own = poseOf(turned, name);
        const Vec2 to = poseOf(turned, "Floor plant").at - own.at;
        EXPECT_GT(dot(own.front(), to) / norm(to), 0.999) << name;
    }
}

TEST(MovedTogether, ApartIsNoPlace) {
    const auto job = jobWith({"two pictures on wall B"});
    const auto why = refusal(job, "move the pictures 10 apart");
    EXPECT_NE(why.text().find("apart"), std::string::npos) << why.text();
}

TEST(MovedTogether, OnlyWhatCameToOneAnotherCounts) {
    const auto job = jobWith({"armchair at 8', 7'", "another armchair at 8', 7' 6\""});
    const auto scene = *sceneOf(job);
    const std::vector<int> ids{job.scheme().byName("Armchair")->id,
                               job.scheme().byName("Armchair 2")->id};
    EXPECT_FALSE(standOnOneAnother(ids, *scene, *scene)); // they did before
    const auto apart = jobWith({"armchair at 4', 7'", "another armchair at 12', 7'"});
    EXPECT_TRUE(standOnOneAnother(ids, **sceneOf(apart), *scene));
}

TEST(Facing, WhatStandsAsideOfAFireLooksAtItsMiddle) {
    const char* notes =
        "room Hearth\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n fireplace 8' "
        "from left, 4' wide, 12 deep\nwall D 15'\n";
    // Straight before it, square to its wall; against that wall, along it.
    const auto before = jobWith({"sofa facing fireplace, 6' from fireplace"}, notes);
    EXPECT_NEAR(std::abs(poseOf(before, "Sofa").front().x), 0, 1e-9);
    const auto job = jobWith({"armchair 30 x 33 on wall C, 24 from left corner"}, notes);
    const auto turned = doneTo(job, "face armchair to fireplace");
    const Pose own = poseOf(turned, "Armchair");
    const Vec2 middle{(20 * 12 - 10 * 12) * 25.4, (15 * 12 - 12) * 25.4}; // of its front
    const Vec2 to = middle - own.at;
    EXPECT_GT(dot(own.front(), to) / norm(to), 0.9999);
}

TEST(Crash, AStoolAtAClockIsRefusedOnly) {
    const auto job = jobWith({"clock on wall A, centre at 70", "stool at 8', 7'"});
    EXPECT_FALSE(readLine("stool at wall clock", job));
    EXPECT_FALSE(readLine("a chair 6 from wall clock", job));
    (void)readLine("stool on the other side of wall clock", job);
}
