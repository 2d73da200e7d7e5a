// What is beside what, in one wall, and across a room.
#include "edit/beside_wall.h"

#include "jobs.h"
#include "scheme/on_wall.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* withTwoWindows() {
    return "ceiling 8'\nwall A 20'\n window 3' from left, 4' wide, 4' high, sill 30\n"
           " window 13' from left, 4' wide, 4' high, sill 30\nwall B 15'\nwall C 20'\n"
           " chimney 8' from left, 56 wide, 14 deep\nwall D 15'\n";
}

/// An L: the wall across from A is C or E, of which E is the longer.
const char* bentRoom() {
    return "ceiling 8'\nwall A 20'\nwall B 8'\nwall C 6'\ncorner out\nwall D 6'\nwall E 14'\n"
           "wall F 14'\n";
}

Target windowNumbered(int n) {
    Target t;
    t.is = Target::Is::window;
    t.index = n;
    return t;
}

std::string nextWords(const Target& t, int wall, Side side, const Project& job) {
    const auto next = nextInWall(t, wall, side, **sceneOf(job));
    return next ? words(*next, job.wording()) : std::string("nothing");
}

Pose poseAfter(const Project& job, const char* line, const char* name) {
    const auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(said.problem().text());
    const auto after = apply(job, said->edit);
    if (!after)
        throw std::runtime_error(after.problem().text());
    return poseOf(*after->project, name);
}

double inInches(double mm) {
    return mm / 25.4;
}

} // namespace

TEST(WallAcross, IsTheLongestThatFacesIt) {
    const auto plain = jobWith({});
    for (int wall = 0; wall < 4; ++wall)
        EXPECT_EQ(wallAcross(*plain.room, wall), (wall + 2) % 4);
    const auto bent = jobWith({}, bentRoom());
    EXPECT_EQ(wallAcross(*bent.room, 0), 4);
    EXPECT_EQ(wallAcross(*bent.room, 4), 0);
    const auto triangle = jobWith({}, "wall A 10'\ncorner 60\nwall B 10'\ncorner 60\nwall C 10'\n");
    for (int wall = 0; wall < 3; ++wall)
        EXPECT_FALSE(wallAcross(*triangle.room, wall));
}

TEST(NextInWall, IsTheNextThingOnThatSideOrTheCorner) {
    const auto job = jobWith({}, withTwoWindows());
    EXPECT_EQ(nextWords(windowNumbered(1), 0, Side::right, job), "window 2");
    EXPECT_EQ(nextWords(windowNumbered(2), 0, Side::left, job), "window 1");
    EXPECT_EQ(nextWords(windowNumbered(1), 0, Side::left, job), "corner AD");
    EXPECT_EQ(nextWords(windowNumbered(2), 0, Side::right, job), "corner AB");
}

TEST(BetweenInWall, AWindowAndTheWallItEndsAt) {
    const auto job = jobWith({}, withTwoWindows());
    // Three feet are free left of window 1, and three right of window 2.
    const auto left =
        poseAfter(job, "bookcase 24 x 12 x 78 between window 1 and wall D", "Bookcase");
    EXPECT_NEAR(inInches(left.at.x), 18, 0.01);
    EXPECT_NEAR(inInches(left.at.y), 6, 0.01);
    const auto right =
        poseAfter(job, "bookcase 24 x 12 x 78 between wall B and window 2", "Bookcase");
    EXPECT_NEAR(inInches(right.at.x), 240 - 18, 0.01);
    const auto tooWide = readLine("bookcase 48 x 12 x 78 between window 1 and wall D", job);
    ASSERT_FALSE(tooWide);
    EXPECT_NE(tooWide.problem().what.find("no room"), std::string::npos);
}

TEST(BetweenTwo, AtOneWallIsAtThatWallToo) {
    const auto job =
        jobWith({"bookcase 36 x 12 x 84 called West against wall C, 12 from corner CD",
                 "bookcase 36 x 12 x 84 called East against wall C, 12 from corner BC"},
                "ceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\nwall D 15'\n");
    const auto between = poseAfter(job, "add bookcase between West and East", "Bookcase");
    EXPECT_NEAR(inInches(between.at.x), 120, 0.01);
    EXPECT_NEAR(inInches(between.at.y), 180 - 6, 0.01) << "its back is at wall C";
}

TEST(OppositeWall, IsAcrossFromTheOneItStandsAt) {
    const auto job = jobWith({"dresser 60 x 20 x 34 against wall B", "armchair at 10', 7'"});
    for (const char* line :
         {"move dresser to the opposite wall", "dresser against the opposite wall"})
        EXPECT_NEAR(inInches(poseAfter(job, line, "Dresser").at.x), 10, 0.01) << line;
    const auto free = readLine("move armchair to the opposite wall", job);
    ASSERT_FALSE(free);
    EXPECT_NE(free.problem().what.find("no wall"), std::string::npos) << free.problem().what;
}

TEST(EitherSide, OfAChimneyHangsInTheMiddleOfEachAlcove) {
    const auto job = jobWith({}, withTwoWindows());
    const auto said = readLine("pictures 20 x 16 either side of the chimney, at 60", job);
    ASSERT_TRUE(said) << said.problem().text();
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    // Wall C: 96 in to the breast, 56 of it, and 88 beyond it.
    const auto& one = *after->project->scheme().byName("Picture");
    const auto& two = *after->project->scheme().byName("Picture 2");
    EXPECT_NEAR(inInches(one.pose.at.x), 48, 0.01);
    EXPECT_NEAR(inInches(two.pose.at.x), 240 - 44, 0.01);
    for (const Piece* p : {&one, &two}) {
        EXPECT_EQ(p->wall(), 2);
        EXPECT_NEAR(inInches(p->pose.at.y), 60, 0.01);
    }
}

TEST(EitherSide, RunnersLieAlongABed) {
    const auto job = jobWith({"queen bed 62 x 84 against wall D"});
    const auto after = apply(job, readLine("a runner on each side of the bed", job)->edit);
    ASSERT_TRUE(after);
    for (const char* name : {"Runner", "Runner 2"}) {
        const Piece& p = *after->project->scheme().byName(name);
        EXPECT_LT(p.size.width, p.size.depth) << name;
    }
}

TEST(RowOverAThing, HangsAboutItsMiddleAndGoesAlong) {
    const auto job = jobWith({"sideboard 72 x 18 x 34 against wall C, centred on wall C"});
    const auto after = apply(
        job, readLine("three pictures 12 x 16 in a row above the sideboard, 3 apart", job)->edit);
    ASSERT_TRUE(after);
    const auto at = [&](const Project& p, const char* name) {
        return inInches(p.scheme().byName(name)->pose.at.x);
    };
    EXPECT_NEAR(at(*after->project, "Picture"), 120 - 15, 0.01);
    EXPECT_NEAR(at(*after->project, "Picture 2"), 120, 0.01);
    EXPECT_NEAR(at(*after->project, "Picture 3"), 120 + 15, 0.01);
    const auto moved =
        apply(*after->project, readLine("move sideboard 12 left", *after->project)->edit);
    ASSERT_TRUE(moved);
    EXPECT_NEAR(at(*moved->project, "Picture 2"), 108, 0.01);
    EXPECT_NEAR(at(*moved->project, "Picture 3") - at(*moved->project, "Picture"), 30, 0.01);
}

TEST(Closer, GoesNoFartherThanToTheThing) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'", "ottoman 24 x 18 at 10', 10'"});
    // The sofa's front is at 8' 6", the ottoman's back at 9' 3".
    const auto near = poseAfter(job, "bring ottoman closer to sofa", "Ottoman");
    EXPECT_NEAR(inInches(near.at.y), 120 - 6, 0.01) << "a usual step";
    const auto nearer = jobWith({"sofa 84 x 36 at 10', 7'", "ottoman 24 x 18 at 10', 9' 5\""});
    EXPECT_NEAR(inInches(poseAfter(nearer, "bring ottoman closer to sofa", "Ottoman").at.y),
                102 + 9, 0.01);
    const auto touching = jobWith({"sofa 84 x 36 at 10', 7'", "ottoman 24 x 18, 0 from sofa"});
    const auto none = readLine("bring ottoman closer to sofa", touching);
    ASSERT_FALSE(none);
    EXPECT_NE(none.problem().what.find("touches Sofa already"), std::string::npos);
}
