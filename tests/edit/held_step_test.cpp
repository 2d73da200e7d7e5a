// What a hand drags stops at walls; what hangs over furniture goes with it to another wall.
#include "edit/held_step.h"

#include "edit/landing.h"
#include "geometry/polygon.h"
#include "jobs.h"
#include "rounds.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

HeldStep held(const Project& job, const char* name, Vec2 wanted,
              DragTies mode = DragTies::revalue) {
    return heldStep(job, **sceneOf(job), {job.scheme().byName(name)->id}, wanted, mode);
}

double inches(double n) {
    return n * 25.4;
}

} // namespace

TEST(HeldStep, IsTheStepWhereNothingIsInTheWay) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'"});
    const auto h = held(job, "Sofa", {300, 200});
    EXPECT_EQ(h.stops, "");
    EXPECT_EQ(h.step, (Vec2{300, 200}));
}

TEST(HeldStep, StopsAtAWallAndSlidesAlongIt) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'"});
    // Its back is 66 in off wall A; half of it is 42 in, so wall D is 78 in off.
    const auto h = held(job, "Sofa", {inches(24), -inches(100)});
    EXPECT_EQ(h.stops, "wall A");
    EXPECT_NEAR(h.step.x, inches(24), 0.01);
    EXPECT_NEAR(h.step.y, -inches(66), 0.6);
}

TEST(HeldStep, StopsInACornerAtBothWalls) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'"});
    const auto h = held(job, "Sofa", {-inches(300), -inches(200)});
    EXPECT_NEAR(h.step.x, -inches(78), 0.6);
    EXPECT_NEAR(h.step.y, -inches(66), 0.6);
}

TEST(HeldStep, HoldsWhatGoesAlongToo) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 4'", "coffee table 48 x 24, 16 from sofa"});
    // The table's front is 5' 6" + 40 in from wall A, so wall C is 74 in off it.
    const auto h = held(job, "Sofa", {0, inches(120)});
    EXPECT_EQ(h.stops, "wall C");
    EXPECT_NEAR(h.step.y, inches(74), 0.6);
}

TEST(HeldStep, ARugThatGoesAlongHoldsNothing) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'", "rug 120 x 96 under sofa"});
    const auto h = held(job, "Sofa", {0, -inches(100)});
    EXPECT_EQ(h.stops, "wall A");
    EXPECT_NEAR(h.step.y, -inches(66), 0.6);
    // Dragged itself it is held.
    const auto lone = jobWith({"rug 120 x 96 at 10', 7'"});
    EXPECT_NEAR(held(lone, "Rug", {0, -inches(100)}).step.y, -inches(36), 0.6);
}

TEST(HeldStep, LeavesFreeWhatGoesThroughAlready) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 1'"});
    const auto h = held(job, "Sofa", {0, -inches(4)});
    EXPECT_EQ(h.stops, "");
    EXPECT_EQ(h.step, (Vec2{0, -inches(4)}));
}

TEST(HeldStep, HoldsAPictureWithinItsWall) {
    const auto job = jobWith({"picture 30 x 20 on wall A, at 5', 58"});
    const auto h = held(job, "Picture", {-inches(100), inches(100)});
    EXPECT_EQ(h.stops, "wall A");
    EXPECT_NEAR(h.step.x, -inches(45), 0.6);
    EXPECT_NEAR(h.step.y, inches(96 - 68), 0.6);
}

TEST(HeldStep, StopsBeforeAChimney) {
    const auto job = jobWith({"armchair 30 x 30 at 10', 7'"},
                             "ceiling 8'\nwall A 20'\n chimney 8' from left, 56 wide, 14 deep\n"
                             "wall B 15'\nwall C 20'\nwall D 15'\n");
    const auto h = held(job, "Armchair", {0, -inches(84)});
    EXPECT_NE(h.stops, "");
    // Its back is 69 in off the wall, and so 55 off the breast.
    EXPECT_NEAR(h.step.y, -inches(55), 4);
}

TEST(HeldStep, NeverGoesThroughInRandomDrags) {
    std::mt19937 random(77);
    std::uniform_real_distribution<double> any(-1, 1);
    const char* ways[] = {"facing wall A", "turned 30", "facing wall B", "turned 200"};
    for (int i = 0; i < rounds(60, 600); ++i) {
        const auto job =
            jobWith({fmt::format("sofa 84 x 36 at {:.2f}in, {:.2f}in, {}", 120 + 40 * any(random),
                                 90 + 20 * any(random), ways[i % 4]),
                     "side table beside sofa"});
        const auto scene = *sceneOf(job);
        const std::vector<int> ids{job.scheme().byName("Sofa")->id};
        const Vec2 wanted{9000 * any(random), 9000 * any(random)};
        const auto h = heldStep(job, *scene, ids, wanted, DragTies::revalue);
        const auto after = apply(job, drag(job, *scene, ids, h.step, DragTies::revalue).edit);
        ASSERT_TRUE(after);
        EXPECT_EQ(goesThrough(*after->project, *scene, *after->scene, ids), 0) << i;
        EXPECT_LE(norm(h.step), norm(wanted) + 1) << i;
    }
}

TEST(FollowFurniture, APictureGoesWithItsSofaToAnotherWall) {
    auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A", "picture 30 x 20 above sofa"});
    EXPECT_EQ(job.scheme().byName("Picture")->wall(), 0);
    const auto said = readLine("move sofa against wall C, centred on wall C", job);
    ASSERT_TRUE(said);
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    const Piece& picture = *after->project->scheme().byName("Picture");
    EXPECT_EQ(picture.wall(), 2);
    EXPECT_NEAR(picture.pose.at.x, inches(120), 0.01);
    EXPECT_EQ(std::count(after->notices.begin(), after->notices.end(),
                         "Picture hangs on wall C now, over Sofa"),
              1);
}

TEST(FollowFurniture, AGroupGoesAlongWithAllThatIsInIt) {
    auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                        "picture 12 x 16 called Mill on wall A, at 5', 58",
                        "picture 12 x 16 called Barn on wall A, at 7', 58",
                        "group mill and barn as a row, gap 2, called pair", "pair 6 above sofa"});
    const auto after = apply(job, readLine("move sofa against wall C", job)->edit);
    ASSERT_TRUE(after);
    for (const char* name : {"Mill", "Barn", "Pair"})
        EXPECT_EQ(after->project->scheme().byName(name)->wall(), 2) << name;
}

TEST(FollowFurniture, WhatHangsByThePictureGoesAlong) {
    auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                        "picture 20 x 16 called Mill, 6 above sofa, centred on sofa, 12 left",
                        "picture 20 x 16 called Barn, 3 right of Mill, 6 above sofa",
                        "sconce 6 right of Barn, centre with Barn"});
    const auto after = apply(job, readLine("move sofa against wall C", job)->edit);
    ASSERT_TRUE(after) << after.problem().text();
    for (const char* name : {"Mill", "Barn", "Sconce"})
        EXPECT_EQ(after->project->scheme().byName(name)->wall(), 2) << name;
    const auto left = [&](const char* name) {
        const Piece& p = *after->project->scheme().byName(name);
        return after->scene->byId(p.id)->pose.at.x - p.size.width.mm() / 2;
    };
    EXPECT_NEAR((left("Barn") - left("Mill")) / 25.4, 23, 1e-6);
    EXPECT_NEAR((left("Sconce") - left("Barn")) / 25.4, 26, 1e-6);
}

TEST(FollowFurniture, WhatIsHeldByItsWallStaysAndLetsGoOfWhatGoes) {
    auto job = jobWith({"sofa 60 x 36 against wall A, 6 from corner AD",
                        "picture 20 x 16 called Mill, 6 above sofa, centred on sofa",
                        "sconce on wall A, 6 left of window 1, centre with Mill"});
    const auto was = poseOf(job, "Sconce");
    const auto after = apply(job, readLine("move sofa against wall C", job)->edit);
    ASSERT_TRUE(after) << after.problem().text();
    EXPECT_EQ(after->project->scheme().byName("Mill")->wall(), 2);
    EXPECT_EQ(after->project->scheme().byName("Sconce")->wall(), 0);
    EXPECT_NEAR(norm(poseOf(*after->project, "Sconce").at - was.at), 0, 1e-6);
}

TEST(FollowFurniture, StaysWhereTheSofaStandsAtNoWallAnyMore) {
    auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A", "picture 30 x 20 above sofa"});
    const auto was = poseOf(job, "Picture");
    const auto after = apply(job, readLine("sofa in the middle of the room", job)->edit);
    ASSERT_TRUE(after);
    const Piece& picture = *after->project->scheme().byName("Picture");
    EXPECT_EQ(picture.wall(), 0);
    EXPECT_EQ(picture.pose.at, was.at);
    EXPECT_FALSE(std::any_of(picture.ties.begin(), picture.ties.end(), [&](const Tie& t) {
        return t.refersTo(after->project->scheme().byName("Sofa")->id);
    }));
    ASSERT_FALSE(after->notices.empty());
}

TEST(FollowFurniture, StaysWhereItGoesBySomethingOnItsOwnWall) {
    auto job = jobWith({"sofa 60 x 36 against wall A, 6 from corner AD",
                        "picture 20 x 16, 6 above sofa, 6 left of window 1"});
    const auto after = apply(job, readLine("move sofa against wall C", job)->edit);
    ASSERT_TRUE(after);
    EXPECT_EQ(after->project->scheme().byName("Picture")->wall(), 0);
}
