// Walls, windows and corners told by what stands there; things that have one place to be; what is
// offered where a line is asked about. The plain room is 240 by 180: its window is 90 to 150 from
// the left of wall A, sill 32, head 80; its door 24 to 56 from the left of wall C.
#include "speech/asked_first.h"

#include "spoken_to.h"

#include <algorithm>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Piece* theOneCalled(const Project& job, const char* name) {
    const Piece* p = job.scheme().byName(name);
    EXPECT_NE(p, nullptr) << name;
    return p;
}
std::string refusedWith(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    return said ? "done: " + said->said.preview : said.problem().what;
}
Vec2 placeOf(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4;
}

} // namespace

TEST(ToldByWhatStands, AWallIsThatOfThePieceAtIt) {
    const auto job = jobWith({"armoire against wall B", "desk against wall D"});
    const auto hung = afterSaying(job, "mirror on the armoire wall");
    const Piece* mirror = theOneCalled(hung, "Mirror");
    ASSERT_NE(mirror, nullptr);
    EXPECT_EQ(mirror->wall(), 1);
    const auto chair = afterSaying(job, "armchair in the corner right of window 1");
    // The right end of wall A is the corner with wall B.
    EXPECT_GT(placeOf(chair, "Armchair").x, 200);
    EXPECT_LT(placeOf(chair, "Armchair").y, 40);
    const auto between = afterSaying(job, "plant in the corner between the window and the desk");
    EXPECT_LT(placeOf(between, "Floor plant").x, 40);
    EXPECT_LT(placeOf(between, "Floor plant").y, 40);
}

TEST(ToldByWhatStands, BedsideLampsStandOnWhatIsByTheBed) {
    const auto job = jobWith({"queen bed against wall B", "nightstand 0 left of queen bed",
                              "another nightstand 0 right of queen bed"});
    for (const char* line : {"two bedside lamps", "bedside lamps", "a pair of bedside lamps"}) {
        const auto lit = afterSaying(job, line);
        ASSERT_EQ(lit.scheme().pieces.size(), 5U) << line;
        std::vector<int> on;
        for (std::size_t i = 3; i < 5; ++i)
            on.push_back(lit.scheme().pieces[i].on.piece);
        EXPECT_EQ(on, (std::vector<int>{job.scheme().pieces[1].id, job.scheme().pieces[2].id}))
            << line;
    }
}

TEST(ToldByWhatStands, NoCurtainsAddsNone) {
    EXPECT_EQ(refusedWith(jobWith({}), "no curtains"), "there are no curtains yet");
    EXPECT_EQ(refusedWith(jobWith({}), "no lamp"), "there is no lamp yet");
    const auto job = jobWith({"curtains on window 1"});
    EXPECT_TRUE(afterSaying(job, "no curtains").scheme().pieces.empty());
}

TEST(ATelevision, GoesOntoTheWallAndNoSecondOneComes) {
    const auto job =
        jobWith({"media console against wall B", "television 50 x 4 x 29 on media console"});
    for (const char* line : {"mount the tv on the wall", "put the tv on the wall above the media "
                                                         "console"}) {
        const auto hung = afterSaying(job, line);
        ASSERT_EQ(hung.scheme().pieces.size(), 2U) << line;
        const Piece& screen = hung.scheme().pieces.back();
        EXPECT_TRUE(screen.onWall()) << line;
        EXPECT_EQ(screen.wall(), 1) << line;
        EXPECT_NEAR(screen.size.width.inInches(), 50, 1e-6) << line;
        EXPECT_NEAR(screen.size.height.inInches(), 29, 1e-6) << line;
    }
}

TEST(WhatHangs, LetsGoOfWhatItWasAlongOnAnotherWall) {
    const auto job =
        jobWith({"sideboard against wall C, 20 from wall B", "mirror above sideboard"});
    const auto moved = afterSaying(job, "mirror on wall B");
    const Piece* mirror = theOneCalled(moved, "Mirror");
    ASSERT_NE(mirror, nullptr);
    EXPECT_EQ(mirror->wall(), 1);
    EXPECT_NEAR(placeOf(moved, "Mirror").x, 90, 0.01); // the middle of 180
    EXPECT_TRUE(std::none_of(mirror->ties.begin(), mirror->ties.end(), [&](const Tie& t) {
        return t.refersTo(theOneCalled(moved, "Sideboard")->id);
    }));
}

TEST(Curtains, FitTheirWindowInWhatIsNotSaid) {
    // By common practice 12 past a window on each side: 84; the drop as it is said.
    const auto drop = afterSaying(jobWith({}), "curtains 70 long on window 1");
    EXPECT_NEAR(theOneCalled(drop, "Curtains")->size.height.inInches(), 70, 1e-6);
    EXPECT_NEAR(theOneCalled(drop, "Curtains")->size.width.inInches(), 84, 1e-6);
    const auto sill = afterSaying(jobWith({}), "short curtains on the window");
    const Piece* p = theOneCalled(sill, "Curtains");
    const double foot = placeOf(sill, "Curtains").y - p->size.height.inInches() / 2;
    EXPECT_NEAR(foot, 32, 0.01);
}

TEST(AQuestion, OfAPartTellsItsHeight) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall B"});
    const Piece& sofa = job.scheme().pieces.front();
    ASSERT_TRUE(sofa.heights.seat);
    EXPECT_EQ(toldBySaying(job, "what is the seat height of the sofa?"),
              "The seat of Sofa is " + writeGap(*sofa.heights.seat, job.notation) + " up");
    EXPECT_EQ(toldBySaying(job, "how high are the arms of the sofa?"),
              "The arms of Sofa are " + writeGap(*sofa.heights.arm, job.notation) + " up");
    // 20 by 15 feet are 300 square feet, and 330 with a tenth for cutting.
    EXPECT_NE(toldBySaying(job, "how much carpet do I need?").find("330"), std::string::npos);
}

TEST(AnAskedLine, OffersWholeSentencesThatStandFree) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall B, centred on wall B"});
    const std::string line = "console 54 x 14 x 32 behind sofa";
    const auto said = readSpoken(line, job, {});
    ASSERT_FALSE(said);
    ASSERT_TRUE(asksFirst(said.problem())) << said.problem().text();
    const auto ways = waysOn(line, job, {});
    ASSERT_GE(ways.size(), 2U);
    EXPECT_LE(ways.size(), 3U);
    EXPECT_EQ(ways.back(), line + " anyway");
    for (const auto& way : ways)
        EXPECT_TRUE(readSpoken(way, job, {})) << way;
    // A rug too large is offered in a size that rugs are stocked in.
    const auto small = jobWith({"coffee table 48 x 26 at 205, 90"});
    const auto rugs = waysOn("9x12 rug under the coffee table", small, {});
    ASSERT_FALSE(rugs.empty());
    EXPECT_NE(rugs.front().find("rug under the coffee table"), std::string::npos);
    EXPECT_EQ(rugs.front().find("9x12"), std::string::npos);
}

TEST(StoolsAtABuiltInCounter, StandBeforeItAndApart) {
    const char* notes = "room K\nceiling 8'\nwall A 20'\n counter 4' from left, 8' wide, 25 deep, "
                        "36 high\nwall B 15'\nwall C 20'\nwall D 15'\n";
    const auto job = afterSaying(jobWith({}, notes), "three stools at the counter");
    ASSERT_EQ(job.scheme().pieces.size(), 3U);
    // About its middle, 96 from the left, 24 from one to the next (common practice).
    std::vector<double> along;
    for (const Piece& p : job.scheme().pieces) {
        along.push_back(placeOf(job, p.name.c_str()).x);
        EXPECT_NEAR(placeOf(job, p.name.c_str()).y - p.size.depth.inInches() / 2, 25, 0.01);
    }
    std::sort(along.begin(), along.end());
    EXPECT_NEAR(along[0], 72, 0.01);
    EXPECT_NEAR(along[1], 96, 0.01);
    EXPECT_NEAR(along[2], 120, 0.01);
}
