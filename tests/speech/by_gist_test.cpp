// Questions in nobody's words but the speaker's, how things stand to each other, doors told by
// their sort, and what goes by them. The plain room is 240 by 180: its window is 90 to 150 from the
// left of wall A, its door 24 to 56 from the left of wall C. Places are worked by hand from the
// notes.
#include "speech/gist.h"

#include "spoken_to.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Two windows of 36 in wall A, 36 and 120 from its left: 96 is midway.
constexpr const char* gistBedroom =
    "room Bed\nceiling 9'\nwall A 16'\n window 3' from left, 3' wide, 5' high, sill 24\n window "
    "10' "
    "from left, 3' wide, 5' high, sill 24\nwall B 14'\nwall C 16'\n door 1' from left, 32 wide, "
    "hinge left, swings in\nwall D 14'\n";
/// A fireplace of 60 in wall D, 60 from its left; French doors in wall B.
constexpr const char* gistSitting =
    "room Sitting\nceiling 8' 6\"\nwall A 20'\nwall B 15'\n french doors 5' from left, 5' wide\n"
    "wall C 20'\n door 2' from left, 32 wide\nwall D 15'\n fireplace 5' from left, 5' wide, 12 "
    "deep\n";

Vec2 atInches(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4;
}
bool inIt(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}

} // namespace

TEST(ByGist, IsAnsweredByWhatIsNamedAndSaysWhatWasTaken) {
    const auto job = jobWith({"sofa 84 x 36 against wall D", "bookcase against wall B"});
    const auto far = toldBySaying(
        job, "i keep wondering is it terribly far for guests between the sofa and wall B?");
    EXPECT_FALSE(inIt(far, "refused")) << far;
    const auto gap = toldBySaying(job, "would the gap look odd from the sofa across to wall B?");
    EXPECT_TRUE(inIt(gap, "“How far is sofa from wall B?”")) << gap;
    EXPECT_TRUE(inIt(gap, "204\"")) << gap; // 240 less the sofa's 36
    const auto seats = toldBySaying(job, "so how many guests could the sofa hold of an evening?");
    EXPECT_TRUE(inIt(seats, "“")) << seats;
}

TEST(ByGist, SaysNothingOfWhatIsNotNamed) {
    const auto job = jobWith({"sofa against wall D"});
    EXPECT_FALSE(byItsGist("is the moon far?", job, {}, {}));
    EXPECT_FALSE(byItsGist("why oh why?", job, {}, {}));
    // What is not there is told, and not answered of something else.
    EXPECT_TRUE(inIt(toldBySaying(job, "how far is the desk from the sofa?"), "there is no desk"));
}

TEST(HowTheyStand, MidwayBetweenTwoWindows) {
    const auto job = jobWith({"queen bed against wall A, centred on wall A"}, gistBedroom);
    EXPECT_EQ(toldBySaying(job, "is the bed centred between the windows?"),
              "Yes: Queen bed is midway between window 1 and window 2");
    const auto moved = afterSaying(job, "move the bed 6 to the right");
    const auto told = toldBySaying(moved, "is the bed centered between window 1 and window 2?");
    EXPECT_TRUE(inIt(told, "No: Queen bed is 6\" off the middle")) << told;
}

TEST(HowTheyStand, WhichWayAThingLooks) {
    const auto job = jobWith({"sofa 84 x 36 against wall D"});
    EXPECT_EQ(toldBySaying(job, "which way does the sofa face?"),
              "Sofa looks at wall B, 204\" away");
    const auto aslant = afterSaying(job, "armchair at 120, 90, turned 200");
    const auto told = toldBySaying(aslant, "which way does the armchair face?");
    EXPECT_TRUE(inIt(told, "20° off it")) << told;
}

TEST(HowTheyStand, ParallelIsTheShorterTurn) {
    const auto job = jobWith({"sofa 84 x 36 at 120, 90, turned 170"});
    const auto straight = afterSaying(job, "sofa parallel to wall A");
    EXPECT_NEAR(std::abs(poseOf(straight, "Sofa").front().y), 1, 1e-6);
    // By ten degrees, and not round to its other side.
    EXPECT_GT(dot(poseOf(straight, "Sofa").front(), poseOf(job, "Sofa").front()), 0.9);
    const auto across = afterSaying(job, "turn the sofa perpendicular to wall A");
    EXPECT_NEAR(std::abs(poseOf(across, "Sofa").front().x), 1, 1e-6);
}

TEST(HowTheyStand, CentredOnTheWindowsAlongTheirWall) {
    const auto job = jobWith({"dining table 72 x 36 at 60, 110"}, gistBedroom);
    const auto on = afterSaying(job, "centre the table on the windows");
    EXPECT_NEAR(atInches(on, "Dining table").x, 96, 0.01);
    EXPECT_NEAR(atInches(on, "Dining table").y, 110, 0.01);
}

TEST(HowTheyStand, TheOtherSideOfTheRoomIsTheWallAcross) {
    const auto job = jobWith({"sofa 84 x 36 against wall D"});
    for (const char* line :
         {"put the sofa on the other side of the room", "sofa to the other side of the room"}) {
        const auto there = afterSaying(job, line);
        EXPECT_NEAR(atInches(there, "Sofa").x, 240 - 18, 0.01) << line;
        EXPECT_NEAR(poseOf(there, "Sofa").front().x, -1, 1e-6) << line;
    }
}

TEST(DoorsBySort, AreNamedByIt) {
    const auto job = jobWith({}, gistSitting);
    const auto by = afterSaying(job, "console in front of the french doors");
    // Before wall B, in the middle of the doors' 60 to 120.
    EXPECT_NEAR(atInches(by, "Console").y, 90, 0.01);
    EXPECT_TRUE(inIt(toldBySaying(job, "can the french doors open?"), "Nothing is in the way"));
    EXPECT_TRUE(inIt(toldBySaying(job, "console by the bifold doors"), "refused"));
}

TEST(DoorsBySort, AFireScreenLooksIntoTheRoom) {
    const auto job = jobWith({}, gistSitting);
    const auto screen = afterSaying(job, "fire screen in front of the fireplace");
    // The fire is in wall D, where x is 0: its breast comes 12 out.
    EXPECT_NEAR(std::abs(poseOf(screen, "Fire screen").front().x), 1, 1e-6);
    EXPECT_NEAR(atInches(screen, "Fire screen").x, 12 + 4, 0.01);
}

TEST(DoorsBySort, HooksHangWhereTheLeafComesTo) {
    // Hinged on the right of 24 to 56, the leaf lies at its wall beyond 56.
    const auto beside = afterSaying(jobWith({}), "hook rail behind the door");
    EXPECT_NEAR(atInches(beside, "Hook rail").x, 56 + 16, 0.01);
    // Hinged 12 from the corner it comes to the wall around it: wall B, 168 long, at its end.
    const auto around = afterSaying(jobWith({}, gistBedroom), "hook rail behind the door");
    const auto& hooks = *around.scheme().byName("Hook rail");
    EXPECT_EQ(hooks.wall(), 1);
    EXPECT_NEAR(atInches(around, "Hook rail").x, 168 - 16, 0.01);
}

TEST(RugsUnder, SoFarPastTheFoot) {
    const auto job = jobWith({"queen bed 62 x 84 against wall A, centred on wall A"}, gistBedroom);
    for (const char* line : {"9 x 12 rug under the bed, sticking out 3 feet at the foot",
                             "9x12 rug under the bed, 36 past the foot"}) {
        const auto with = afterSaying(job, line);
        const auto& rug = *with.scheme().byName("Rug");
        // The bed ends 84 from the wall, the rug 120, and it is 108 that way.
        EXPECT_NEAR(rug.size.depth.inInches(), 108, 0.01) << line;
        EXPECT_NEAR(atInches(with, "Rug").y, 120 - 54, 0.01) << line;
    }
}

TEST(RugsUnder, SoFarUnderIsNoSize) {
    const auto job = jobWith({"sofa 84 x 36 against wall D", "rug 96 x 60 in front of sofa"});
    for (const char* line :
         {"rug should go 8 inches under the sofa", "slide the rug 8 under the sofa"}) {
        const auto under = afterSaying(job, line);
        const auto& rug = *under.scheme().byName("Rug");
        EXPECT_NEAR(rug.size.width.inInches() * rug.size.depth.inInches(), 96.0 * 60, 0.5) << line;
        const auto scene = sceneOf(under);
        ASSERT_TRUE(scene);
        EXPECT_NEAR(-extent((*scene)->fromAbove(rug.id)->shape, {-1, 0}) / 25.4, 36 - 8, 0.02)
            << line;
    }
}

TEST(AtATable, SoManyOnEachSideAndNoneAtItsEnds) {
    const auto job = jobWith({"dining table 84 x 42 centred on room"});
    const auto six = afterSaying(job, "six chairs, three on each side");
    ASSERT_EQ(six.scheme().pieces.size(), 7U);
    for (const Piece& p : six.scheme().pieces)
        if (p.kind->role == Role::diningChair)
            EXPECT_LT(std::abs(poseOf(six, p.name.c_str()).at.x / 25.4 - 120), 42) << p.name;
    const auto bench =
        afterSaying(job, "a bench on the window side and three chairs on the other side");
    ASSERT_EQ(bench.scheme().pieces.size(), 5U);
    EXPECT_LT(atInches(bench, "Bench").y, 90); // the window is where y is 0
    for (const Piece& p : bench.scheme().pieces)
        if (p.kind->role == Role::diningChair)
            EXPECT_GT(poseOf(bench, p.name.c_str()).at.y / 25.4, 90) << p.name;
}

TEST(AtATable, ALeafMakesItLongerAndEndChairsGo) {
    const auto job = jobWith({"dining table 84 x 42 centred on room"});
    const auto longer = afterSaying(job, "add a leaf to the table, 18 inches");
    EXPECT_NEAR(longer.scheme().byName("Dining table")->size.width.inInches(), 102, 1e-9);
    const auto seated = afterSaying(job, "seat the table with 8");
    const auto six = afterSaying(seated, "remove the chairs at the ends of the table");
    EXPECT_EQ(six.scheme().pieces.size(), 7U);
    const auto round = afterSaying(job, "make the table 60 round");
    EXPECT_EQ(round.scheme().pieces.front().kind->footprint.form, FootprintForm::oval);
    EXPECT_NEAR(round.scheme().pieces.front().size.depth.inInches(), 60, 1e-9);
}

TEST(AtATable, ALargerOneIsSoughtInItsPlace) {
    // In a small room the way round the table is narrow already: another is no worse for that.
    const auto job = jobWith({"dining table 72 x 36 centred on room", "sideboard against wall D"},
                             "room Small\nceiling 8'\nwall A 11'\nwall B 9'\nwall C 11'\n door 1' "
                             "from left, 30 wide, hinge left, swings in\nwall D 9'\n");
    const auto told = toldBySaying(job, "what table fits?");
    EXPECT_FALSE(inIt(told, "No table fits")) << told;
}

TEST(WhatItIs, NoRugBecomesASofa) {
    const auto job = jobWith({"sofa against wall D", "rug 96 x 60 in front of sofa"});
    const int rug = job.scheme().byName("Rug")->id;
    const auto said = readSpoken("make it a sectional", job, {{rug}, {}, {}});
    ASSERT_FALSE(said);
    EXPECT_TRUE(inIt(said.problem().text(), "replace Sofa by")) << said.problem().text();
}

TEST(WhatItIs, RoomIsSoughtWhereItBelongs) {
    const auto job = jobWith({"queen bed against wall B"});
    const auto told = toldBySaying(job, "is there room for nightstands?");
    EXPECT_TRUE(inIt(told, "left of Queen bed")) << told;
    EXPECT_TRUE(inIt(told, "right of Queen bed")) << told;
    // How wide they may be is told by the floor on either side.
    const auto wide = toldBySaying(job, "how wide can the nightstands be?");
    EXPECT_TRUE(inIt(wide, "59\" left")) << wide; // (180 - 62) / 2
    EXPECT_TRUE(inIt(wide, "59\" right")) << wide;
}

TEST(WhatItIs, ABedIsAsLongAsOneLiesInIt) {
    const auto job = jobWith({"queen bed 62 x 84 against wall B"});
    EXPECT_EQ(toldBySaying(job, "how long is the bed?"), "Queen bed is 84\" long");
    EXPECT_EQ(toldBySaying(job, "how wide is the bed?"), "Queen bed is 62\" wide");
}

TEST(WhatItIs, UpToTheCeiling) {
    const auto job = jobWith({});
    for (const char* line :
         {"bookcase on wall C up to the ceiling", "a floor to ceiling bookcase on wall C"}) {
        const auto with = afterSaying(job, line);
        EXPECT_NEAR(with.scheme().byName("Bookcase")->size.height.inInches(), 96, 1e-9) << line;
    }
}

TEST(WhatItIs, AFigureBeforeWideIsASize) {
    const auto job = jobWith({});
    for (const char* line : {"30 wide bookcase on wall C", "30 inch wide bookcase on wall C",
                             "bookcase on wall C, 30 wide"}) {
        const auto with = afterSaying(job, line);
        ASSERT_EQ(with.scheme().pieces.size(), 1U) << line;
        EXPECT_EQ(with.scheme().pieces.front().kind->id, "bookcase") << line;
        EXPECT_NEAR(with.scheme().pieces.front().size.width.inInches(), 30, 1e-9) << line;
    }
    EXPECT_EQ(afterSaying(job, "wide bookcase on wall C").scheme().pieces.front().kind->id,
              "wide-bookcase");
}

TEST(WhatItIs, ARunnerIsWideAcrossWhicheverWayItLies) {
    for (const char* size : {"36 x 120", "120 x 36"}) {
        const auto job = jobWith({std::string("runner ") + size + " centred on room"});
        const auto across = [](const Project& p) {
            const Size& s = p.scheme().pieces.front().size;
            return std::pair(std::min(s.width, s.depth).inInches(),
                             std::max(s.width, s.depth).inInches());
        };
        EXPECT_EQ(across(afterSaying(job, "runner 30 wide")), (std::pair(30.0, 120.0))) << size;
        const auto [wide, longer] = across(afterSaying(job, "longer runner"));
        EXPECT_NEAR(wide, 36, 1e-9) << size;
        EXPECT_GT(longer, 120) << size;
        EXPECT_GT(across(afterSaying(job, "wider runner")).first, 36) << size;
    }
}
