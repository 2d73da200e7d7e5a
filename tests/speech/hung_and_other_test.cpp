// What stands by what hangs, what goes to the other side, what is answered of what is named. Places
// are worked by hand from the tape notes.
#include "edit/landing.h"
#include "edit/language.h"

#include "spoken_to.h"

#include <algorithm>
#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Result<Spoken> spokenTo(const Project& job, const std::string& line) {
    return readSpoken(line, job, {});
}
std::string answerIn(const Project& job, const std::string& line) {
    const auto said = spokenTo(job, line);
    if (!said)
        return "refused: " + said.problem().text();
    return said->is == Spoken::Is::answer ? said->answer.words : "done: " + said->said.preview;
}
bool contains(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}
/// Inches in the room: wall A runs along y = 0 from x = 0, the room is 240 by 180.
Vec2 inches(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4;
}
std::string name(const Project& job, std::size_t i) {
    return job.scheme().pieces[i].name;
}

} // namespace

TEST(ByWhatHangs, SeatsFaceItAndStandBeforeIt) {
    const auto job = jobWith({"wall screen on wall C, centre 120 from left corner"});
    const auto facing = afterSaying(job, "recliner 8' from the tv");
    EXPECT_NEAR(poseOf(facing, "Recliner").front().y, 1, 1e-6);
    const auto opposite = afterSaying(job, "armchair opposite the tv");
    EXPECT_NEAR(inches(opposite, "Armchair").x, 120, 0.01);
    // A seat is 33 deep; in a deep room it stands as far before it as one talks.
    EXPECT_NEAR(180 - inches(opposite, "Armchair").y - 16.5, 81, 0.01);
    const auto before = afterSaying(job, "bench 40 x 16, 60 in front of the tv");
    EXPECT_NEAR(inches(before, "Bench").x, 120, 0.01);
    EXPECT_NEAR(inches(before, "Bench").y, 180 - 60 - 8, 0.01);
}

TEST(ByWhatHangs, EachSideIsBesideItAtItsWall) {
    const auto job = jobWith({"wall screen 60 x 34 on wall D, centre 90 from left corner"});
    const auto both = afterSaying(job, "bookcase 30 wide on each side of the tv");
    ASSERT_EQ(both.scheme().pieces.size(), 3U);
    // Wall D runs from y = 180 to 0; a bookcase stands a habit's gap from the screen.
    const double gap = job.library.book->habit("beside-on-wall").inInches();
    std::vector<double> ys{inches(both, name(both, 1).c_str()).y,
                           inches(both, name(both, 2).c_str()).y};
    std::sort(ys.begin(), ys.end());
    EXPECT_NEAR(ys[0], 90 - 30 - gap - 15, 0.01);
    EXPECT_NEAR(ys[1], 90 + 30 + gap + 15, 0.01);
}

TEST(ByWhatHangs, WhatStandsOnTopsGoesOnWhatStandsUnderIt) {
    const auto job = jobWith(
        {"media console on wall C, centred on wall C", "wall screen on wall C, centred on wall C"});
    const auto with = afterSaying(job, "soundbar under the tv");
    EXPECT_EQ(with.scheme().byName("Sound bar")->on.piece,
              with.scheme().byName("Media console")->id);
    const auto clock = afterSaying(job, "clock on the media console");
    EXPECT_EQ(clock.scheme().pieces.back().kind->id, "small-clock");
}

TEST(TheOther, SideIsStraightAcross) {
    const auto job = jobWith({"kitchen island 84 x 40 x 36 in the middle of the room",
                              "three bar stools behind the island"});
    const auto now = afterSaying(job, "move the stools to the other side");
    for (const char* stool : {"Bar stool", "Bar stool 2", "Bar stool 3"}) {
        EXPECT_NEAR(inches(now, stool).x, inches(job, stool).x, 0.01) << stool;
        EXPECT_NEAR(inches(now, stool).y - 90, 90 - inches(job, stool).y, 0.01) << stool;
    }
}

TEST(TheOther, SideOfWhatHangsIsSwappedAtItsHeight) {
    const auto job = jobWith({"queen bed on wall A, 60 from left corner",
                              "sconce 6 left of queen bed", "small pendant left of queen bed"});
    const auto now = afterSaying(job, "move the sconce to the other side of the bed");
    // From 6 left of a bed 62 wide to 6 right of it, a sconce is 5 wide.
    EXPECT_NEAR(inches(now, "Sconce").x - inches(job, "Sconce").x, 62 + 6 + 6 + 5, 0.01);
    EXPECT_NEAR(inches(now, "Sconce").y, inches(job, "Sconce").y, 0.01);
    const auto lit = afterSaying(job, "move the small pendant to the other side");
    EXPECT_NEAR(inches(lit, "Small pendant").x - inches(job, "Small pendant").x, 62 + 8, 0.01);
    // Not to be measured so, and told.
    EXPECT_TRUE(contains(answerIn(job, "will the door hit the sconce?"), "Sconce hangs"));
    EXPECT_TRUE(contains(answerIn(job, "space the sconce and the pendant 10 apart"), "refused"));
}

TEST(TheOther, SpacingIsAboutTheMiddleAndFromMiddleToMiddleWhereGapsDoNotFit) {
    const auto job = jobWith({"kitchen island 84 x 40 x 36 in the middle of the room",
                              "three bar stools behind the island"});
    // Gaps of 28 between stools 17 wide would take 107 of 84.
    const auto wide = afterSaying(job, "space the stools 30 inches apart");
    EXPECT_NEAR(inches(wide, "Bar stool 3").x - inches(wide, "Bar stool").x, 60, 0.01);
    EXPECT_NEAR(inches(wide, "Bar stool 2").x, 120, 0.01);
    const auto close = afterSaying(job, "space the stools 6 apart");
    EXPECT_NEAR(inches(close, "Bar stool 3").x - inches(close, "Bar stool").x, 2 * 23, 0.01);
}

TEST(TheOther, WindowIsTheOneFartherOff) {
    const char* two = "room Two\nceiling 8'\nwall A 20'\n window 2' from left, 4' wide, 4' high, "
                      "sill 32\n window 14' from left, 4' wide, 4' high, sill 32\nwall B 15'\nwall "
                      "C 20'\nwall D 15'\n";
    const auto job = jobWith({"desk under window 1"}, two);
    EXPECT_NEAR(inches(job, "Desk").x, 48, 0.01);
    EXPECT_NEAR(inches(afterSaying(job, "move the desk to the other window"), "Desk").x, 192, 0.01);
}

TEST(TheOther, NearestOfSeveralIsMeantBySeveral) {
    const auto job =
        jobWith({"bookcase 36 x 12 on wall A, 20 from left corner",
                 "bookcase 36 x 12 on wall A, 56 from left corner", "desk 54 x 26 at 4', 5'"});
    // The desk's back edge is 47 from wall A, 35 from a bookcase.
    EXPECT_TRUE(contains(answerIn(job, "how far is the desk from the bookcases?"), "35\""));
    EXPECT_NEAR(inches(afterSaying(job, "desk 20 from the bookcases"), "Desk").y, 12 + 20 + 13,
                0.01);
}

TEST(AskedOf, WhatALeafMeetsIsMeasuredToWhatIsNamed) {
    // The door is 24 to 56 from the left of wall C, its hinge right as one faces it: its leaf
    // sweeps a quarter of 32 about x = 240 - 56 = 184, y = 180.
    const auto clear = jobWith({"bench 40 x 16 at 15' 4\", 10'"});
    const auto no = answerIn(clear, "will the door hit the bench?");
    EXPECT_TRUE(contains(no, "No: the leaf of door 1 clears Bench by 20\"")) << no;
    const auto met = jobWith({"bench 40 x 16 at 15' 4\", 13'"});
    const auto yes = answerIn(met, "does the door hit the bench?");
    EXPECT_TRUE(contains(yes, "Yes: the leaf of door 1 meets Bench, ")) << yes;
    // Clearing is the other way about.
    EXPECT_TRUE(contains(answerIn(clear, "does the door clear the bench?"),
                         "Yes: the leaf of door 1 clears Bench by 20\""));
    EXPECT_TRUE(contains(answerIn(met, "does the door clear the bench?"),
                         "No: the leaf of door 1 meets Bench, "));
    EXPECT_TRUE(contains(answerIn(clear, "does the door hit the rug?"), "no rug"));
    EXPECT_TRUE(contains(answerIn(clear, "does the door hit anything?"), "Nothing"));
}

TEST(AskedOf, WhetherOneLooksAtAThing) {
    const auto job = jobWith({"sofa on wall C, centred on window 1", "armchair at 3', 12'"});
    EXPECT_TRUE(contains(answerIn(job, "is the sofa opposite the window?"), "Yes"));
    EXPECT_TRUE(contains(answerIn(job, "does the sofa face wall A?"), "Yes"));
    EXPECT_TRUE(contains(answerIn(job, "is the sofa facing wall B?"), "No: Sofa is turned 90"));
}

TEST(AskedOf, ARugIsByTheTableWhereNobodySitsElse) {
    const auto job = jobWith({"dining table 78 x 37 in the middle of the room"});
    // Two feet past it on every side: common practice.
    EXPECT_TRUE(contains(answerIn(job, "what size rug do I need?"), "126\" by 85\" or more"));
}

TEST(AskedOf, AnotherIsTriedInPlaceOfWhatIsThere) {
    const auto job = jobWith({"queen bed on wall D", "nightstand left of the bed"});
    const auto words = answerIn(job, "will a king bed fit?");
    EXPECT_FALSE(contains(words, "refused")) << words;
    // A crib does not stand for a bed.
    const auto crib = jobWith({"crib on wall D"});
    EXPECT_FALSE(contains(answerIn(crib, "is there room for a twin bed?"), "Crib"));
}

TEST(AskedOf, TheCeilingAtAPlace) {
    const char* attic =
        "room Attic\nceiling 8'\nslope wall B, knee 4', full at 5'\nwall A 20'\nwall "
        "B 15'\nwall C 20'\nwall D 15'\n";
    const auto job = jobWith({}, attic);
    EXPECT_TRUE(contains(answerIn(job, "how high is the ceiling at wall B?"), "4' 0\""));
    EXPECT_TRUE(contains(answerIn(job, "how high is the ceiling at wall D?"), "8' 0\""));
}

TEST(SaidOnce, ACautionIsToldWithTheFirstOfSeveral) {
    const std::vector<std::string> told{"wiring is for an electrician"};
    EXPECT_EQ(withoutNotices("Adds a light; wiring is for an electrician", told), "Adds a light");
    EXPECT_EQ(withoutNotices("Adds a light; wiring is for an electrician; before door 1", told),
              "Adds a light; before door 1");
    EXPECT_EQ(withoutNotices("Adds a light", told), "Adds a light");
}

TEST(LShapedRooms, LightsAreSharedOutByFloor) {
    const char* ell =
        "room Ell\nceiling 9'\nwall A 22'\nwall B 14'\nwall C 12'\ncorner out\nwall D "
        "6'\ncorner in\nwall E 10'\nwall F 20'\n";
    const auto job = jobWith({}, ell);
    const auto lit = afterSaying(job, "six recessed lights");
    ASSERT_EQ(lit.scheme().pieces.size(), 6U);
    int below = 0;
    for (const Piece& p : lit.scheme().pieces) {
        const Vec2 at = poseOf(lit, p.name.c_str()).at;
        EXPECT_TRUE(job.room->holds(at)) << p.name;
        below += at.y > 14 * 304.8;
    }
    // 60 of 368 square feet.
    EXPECT_EQ(below, 1);
}
