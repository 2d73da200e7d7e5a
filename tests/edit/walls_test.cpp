// Saying where things hang: heights, middles, neighbours, groups; and that they follow.
#include "edit/drag.h"
#include "edit/grouping.h"
#include "edit/snap.h"
#include "hung.h"
#include "jobs.h"
#include "scheme/on_wall.h"

#include <fmt/format.h>

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Inches along the wall and up.
Vec2 at(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4;
}
Project said(const Project& job, const std::string& line) {
    auto s = readLine(line, job);
    if (!s)
        throw std::runtime_error(line + ": " + s.problem().text());
    auto next = apply(job, s->edit);
    if (!next)
        throw std::runtime_error(line + ": " + next.problem().text());
    return *next->project;
}

const char* stairNotes() {
    return "room Hall\nceiling 12'\nwall A 16'\n  stairs 24 from left, 36 wide, riser 7 1/2, going "
           "10, count 9, up right\nwall B 8'\nwall C 16'\nwall D 8'\n";
}

} // namespace

TEST(WallTies, ANewPictureHangsAtTheMiddleOfItsSchoolsEyeLevel) {
    auto job = jobWith({"picture 24 x 18 on wall A"});
    EXPECT_NEAR(at(job, "Picture").y, 58.5, 1e-9) << "57 to 60, low and close";
    job = said(job, "school viewer-and-air");
    EXPECT_NEAR(at(job, "Picture").y, 63, 1e-9) << "60 to 66";
    job = said(job, "household tall");
    EXPECT_NEAR(at(job, "Picture").y, 66, 1e-9);
    job = said(job, "hang for 5' 0\" and 5' 10\"");
    EXPECT_NEAR(at(job, "Picture").y, 65 * 0.936, 1e-9) << "0.936 of the mean stature";
}

TEST(WallTies, HeightsAreMeasuredToFootMiddleOrTop) {
    const auto job = jobWith({"picture 24 x 18 on wall A called One, bottom at 50",
                              "picture 24 x 18 on wall A called Two, centre at 60",
                              "picture 24 x 18 on wall A called Three, top at 80",
                              "picture 24 x 18 on wall A called Four, 6 from ceiling"});
    EXPECT_NEAR(at(job, "One").y, 59, 1e-9);
    EXPECT_NEAR(at(job, "Two").y, 60, 1e-9);
    EXPECT_NEAR(at(job, "Three").y, 71, 1e-9);
    EXPECT_NEAR(at(job, "Four").y, 96 - 6 - 9, 1e-9);
}

TEST(WallTies, AboveTheSofaItIsOverItsMiddleAndFollowsIt) {
    auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall C, 60 from wall B", "picture 48 x 24, 6 above sofa"});
    const Piece& p = *job.scheme().byName("Picture");
    EXPECT_EQ(p.on, onWall(2)) << "the wall the sofa stands against";
    // Wall C begins at wall B: the sofa's middle is 60 + 42 from there.
    EXPECT_NEAR(at(job, "Picture").x, 102, 1e-6);
    EXPECT_NEAR(at(job, "Picture").y, 34 + 6 + 12, 1e-9);
    job = said(job, "move sofa 10 left");
    EXPECT_NEAR(at(job, "Picture").x, 92, 1e-6);
    job = said(job, "size sofa 84 x 36 x 30");
    EXPECT_NEAR(at(job, "Picture").y, 30 + 6 + 12, 1e-9);
}

TEST(WallTies, BesideAndLevelWithANeighbour) {
    const auto job =
        jobWith({"picture 24 x 18 on wall A called One, 20 from left corner, centre at 60",
                 "picture 12 x 30 called Two, 2 right of One, top with One",
                 "picture 10 x 10 called Three, 3 left of One, bottom with top of One, 1 lower"});
    EXPECT_NEAR(at(job, "One").x, 32, 1e-9);
    EXPECT_NEAR(at(job, "Two").x, 44 + 2 + 6, 1e-9);
    EXPECT_NEAR(at(job, "Two").y, 69 - 15, 1e-9);
    EXPECT_NEAR(at(job, "Three").x, 20 - 3 - 5, 1e-9);
    EXPECT_NEAR(at(job, "Three").y, 69 - 1 + 5, 1e-9);
}

TEST(WallTies, AcrossItIsCentredOnAWindowAWallOrWhatIsBetween) {
    const auto job =
        jobWith({"picture 24 x 18 on wall A called One, centred on window 1, 3 left",
                 "picture 24 x 18 called Two, centred on wall A",
                 "picture 24 x 18 on wall A called Three, between left corner and window 1",
                 "picture 24 x 18 on wall A called Four, 10 from right corner"});
    EXPECT_NEAR(at(job, "One").x, 90 + 30 - 3, 1e-9);
    EXPECT_NEAR(at(job, "Two").x, 120, 1e-9);
    EXPECT_NEAR(at(job, "Three").x, 45, 1e-9);
    EXPECT_NEAR(at(job, "Four").x, 240 - 10 - 12, 1e-9);
}

TEST(WallTies, ABuildingLineHoldsATop) {
    const char* notes = "room R\nceiling 8'\npicture rail 80\nwall A 12'\n window 40 from left, 40 "
                        "wide, 40 high, sill 36\nwall B 10'\nwall C 12'\nwall D 10'\n";
    const auto job =
        jobWith({"picture 20 x 16 on wall A called One, top with window 1",
                 "picture 20 x 16 on wall B called Two, top with picture rail, 2 lower",
                 "picture 20 x 16 on wall A called Three, bottom with sill of window 1"},
                notes);
    EXPECT_NEAR(at(job, "One").y, 76 - 8, 1e-9);
    EXPECT_NEAR(at(job, "Two").y, 78 - 8, 1e-9);
    EXPECT_NEAR(at(job, "Three").y, 36 + 8, 1e-9);
}

TEST(WallTies, OverAStairTheHeightClimbsWithTheNosings) {
    const auto job = jobWith(
        {"picture 16 x 20 on wall A called One, centre 58 over stairs, centre 34 from left corner",
         "picture 16 x 20 on wall A called Two, centre 58 over stairs, centre 64 from left corner",
         "picture 16 x 20 on wall A called Three, centre 58 over stairs, centre 150 from left "
         "corner"},
        stairNotes());
    // The first nosing is over the first riser, 24 from the corner; three goings on it is 22.5 up.
    EXPECT_NEAR(at(job, "One").y, 58 + 7.5 + 7.5, 1e-9) << "one going past the first nosing";
    EXPECT_NEAR(at(job, "Two").y - at(job, "One").y, 22.5, 1e-9) << "equal steps";
    EXPECT_NEAR(at(job, "Three").y, 58 + 9 * 7.5, 1e-9) << "on over the landing";
}

TEST(WallTies, WhatCantBeIsRefusedWithTheReason) {
    const auto job = jobWith({"sofa against wall A", "picture on wall A"});
    EXPECT_NE(refusal(job, "canvas 24 x 18").what.find("which wall"), std::string::npos);
    EXPECT_FALSE(refusal(job, "picture on wall B, centred on window 1").what.empty())
        << "the window is in wall A";
    EXPECT_FALSE(refusal(job, "sofa 6 above picture").what.empty());
    EXPECT_FALSE(refusal(job, "picture 6 above picture").what.empty()) << "by itself";
    EXPECT_FALSE(refusal(job, "picture top with picture rail").what.empty()) << "there is none";
    EXPECT_FALSE(refusal(job, "sofa 10 from picture").what.empty());
    EXPECT_FALSE(refusal(job, "sofa left of picture").what.empty());
}

TEST(WallTies, WhatStandsFacesWhatHangsAndIsCentredOnIt) {
    auto job = jobWith({"picture 24 x 18 on wall C called One, centre 60 from left corner",
                        "armchair 30 x 33 at 10', 5' called Reader", "bench 48 x 16 at 5', 3'"});
    // Wall C runs back along y = 180 from x = 240: its 60 is x = 180.
    job = said(job, "bench centred on One");
    EXPECT_NEAR(poseOf(job, "Bench").at.x / 25.4, 180, 0.01);
    job = said(job, "Reader facing One");
    // From 120 before the wall and 48 aside of the picture's near end it is faced square.
    EXPECT_NEAR(poseOf(job, "Reader").front().x, 0, 1e-9);
    EXPECT_NEAR(poseOf(job, "Reader").front().y, 1, 1e-9);
    // Hung elsewhere it is followed; from farther aside than before it, its middle is looked at.
    job = said(job, "Reader at 2', 14'");
    job = said(job, "One centre 30 from left corner");
    EXPECT_NEAR(poseOf(job, "Bench").at.x / 25.4, 210, 0.01);
    const Pose seat = poseOf(job, "Reader");
    const Vec2 to = unit(Vec2{210 * 25.4, 180 * 25.4} - seat.at);
    EXPECT_NEAR(dot(seat.front(), to), 1, 1e-6);
    // No loop: it can't hang by what stands by it.
    EXPECT_NE(refusal(job, "One centred on Bench").what.find("loop"), std::string::npos);
}

TEST(WallTies, ALoopIsRefusedWithItsChain) {
    const auto job =
        jobWith({"picture on wall A called One", "picture on wall A called Two, level with One"});
    EXPECT_NE(refusal(job, "One level with Two").what.find("loop"), std::string::npos);
}

TEST(WallTies, MovedToAnotherWallItLetsGoOfWhatIsNotThere) {
    auto job = jobWith({"picture 24 x 18 on wall A called One, centred on window 1, centre at 60"});
    job = said(job, "One on wall B");
    const Piece& p = *job.scheme().byName("One");
    EXPECT_EQ(p.on, onWall(1));
    ASSERT_EQ(p.ties.size(), 1U);
    EXPECT_EQ(words(p.ties[0], job.wording()), "centre at 5' 0\"");
}

TEST(WallTies, EveryTieIsReadBackFromItsOwnWords) {
    const auto job =
        jobWith({"sofa against wall A",
                 "picture 24 x 18 on wall A called One, 20 from left corner, bottom at 40",
                 "picture on wall A called Two, 2 right of One, top with One",
                 "picture on wall A called Three, 6 above sofa",
                 "picture on wall A called Four, at eye level, between One and window 1",
                 "picture on wall A called Five, 8 below ceiling, centred on window 1, 2 left"});
    for (const Piece& p : mezzet::test::hungIn(job.scheme())) {
        std::string line = p.name;
        for (const Tie& t : p.ties)
            line += (line == p.name ? " " : ", ") + words(t, job.wording());
        const auto again = said(job, line);
        const auto& ties = again.scheme().byId(p.id)->ties;
        ASSERT_EQ(ties.size(), p.ties.size()) << line;
        for (std::size_t i = 0; i < ties.size(); ++i) {
            EXPECT_EQ(words(ties[i], again.wording()), words(p.ties[i], job.wording()));
            EXPECT_EQ(ties[i].kind, p.ties[i].kind) << line;
            EXPECT_EQ(ties[i].of, p.ties[i].of) << line;
            EXPECT_EQ(ties[i].side, p.ties[i].side) << line;
            EXPECT_EQ(ties[i].level, p.ties[i].level) << line;
            EXPECT_EQ(ties[i].levelOf, p.ties[i].levelOf) << line;
            EXPECT_NEAR((ties[i].distance - p.ties[i].distance).mm(), 0, 1e-9) << line;
        }
    }
}

TEST(WallDrag, TheNumbersFollowTheStep) {
    const auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall C, 60 from wall B", "picture 48 x 24, 6 above sofa"});
    const auto scene = *sceneOf(job);
    const int id = job.scheme().byName("Picture")->id;
    const auto moved = drag(job, *scene, {id}, {3 * 25.4, 2 * 25.4}, DragTies::revalue);
    const auto next = *apply(job, moved.edit);
    const auto& ties = next.project->scheme().byName("Picture")->ties;
    ASSERT_EQ(ties.size(), 2U);
    EXPECT_EQ(words(ties[0], next.project->wording()), "8\" above Sofa");
    EXPECT_EQ(words(ties[1], next.project->wording()), "centred on Sofa, 3\" right");
    EXPECT_NEAR(at(*next.project, "Picture").x, 105, 1e-6);
}

TEST(WallDrag, FromTheRightCornerTheNumberShrinksAsItGoesRight) {
    const auto job = jobWith({"picture 24 x 18 on wall A called One, 10 from right corner"});
    const auto moved =
        drag(job, **sceneOf(job), {job.scheme().byName("One")->id}, {25.4, 0}, DragTies::revalue);
    const auto next = *apply(job, moved.edit);
    EXPECT_NEAR(at(*next.project, "One").x, 240 - 9 - 12, 1e-9);
}

TEST(WallSnap, NearEyeLevelAndTheSofasMiddleBothAreOffered) {
    const auto job = jobWith({"sofa 84 x 36 x 30 against wall C, 60 from wall B",
                              "picture 20 x 20 on wall C called One, at 80, 57"});
    const auto snap = snapFor(job, **sceneOf(job), job.scheme().byName("One")->id,
                              {(102 - 80) * 25.4 + 9, 1.5 * 25.4 - 6}, Length::millimetres(20));
    ASSERT_TRUE(snap);
    EXPECT_EQ(snap->ties.size(), 2U);
    EXPECT_NEAR(snap->step.x, 22 * 25.4, 1e-6);
    EXPECT_NEAR(snap->step.y, 1.5 * 25.4, 1e-6);
}

TEST(Groups, AGroupIsOneOutlineAndItsPiecesFollowIt) {
    auto job = jobWith({"sofa 84 x 36 x 34 against wall C, 60 from wall B",
                        "picture 18 x 24 on wall C called Port, at 70, 60",
                        "picture 18 x 24 on wall C called Middle, at 90, 60",
                        "picture 18 x 24 on wall C called Star, at 110, 60",
                        "group Port, Middle and Star called Trio"});
    const Piece& g = *job.scheme().byName("Trio");
    EXPECT_TRUE(g.isGroup());
    EXPECT_NEAR(g.size.width.inInches(), 58, 1e-9);
    EXPECT_NEAR(g.size.height.inInches(), 24, 1e-9);
    EXPECT_NEAR(at(job, "Trio").x, 90, 1e-9);
    job = said(job, "Trio 6 above sofa, centred on sofa");
    EXPECT_NEAR(at(job, "Middle").x, 102, 1e-6);
    EXPECT_NEAR(at(job, "Port").x, 82, 1e-6);
    EXPECT_NEAR(at(job, "Port").y, 34 + 6 + 12, 1e-9);
    // One made larger makes the outline larger, which stays centred.
    job = said(job, "size Star 28 x 24");
    EXPECT_NEAR(job.scheme().byName("Trio")->size.width.inInches(), 63, 1e-9);
    EXPECT_NEAR(at(job, "Trio").x, 102, 1e-6);
    // Taken apart, they hang where they were.
    const auto before = at(job, "Port");
    job = said(job, "ungroup Trio");
    EXPECT_EQ(job.scheme().byName("Trio"), nullptr);
    EXPECT_NEAR(norm(at(job, "Port") - before), 0, 1e-9);
}

TEST(Groups, FormsAreSaidInOneLine) {
    std::vector<std::string> lines;
    for (int i = 1; i <= 9; ++i)
        lines.push_back(fmt::format("picture 10 x 10 on wall C called P{}", i));
    lines.emplace_back("group P1, P2, P3, P4, P5, P6, P7, P8 and P9 as a grid, gap 2, called Nine");
    auto job = jobWith(lines);
    EXPECT_NEAR(job.scheme().byName("Nine")->size.width.inInches(), 34, 1e-9);
    EXPECT_NEAR(job.scheme().byName("Nine")->size.height.inInches(), 34, 1e-9);
    job = said(job, "arrange Nine as a row, gap 1");
    EXPECT_NEAR(job.scheme().byName("Nine")->size.width.inInches(), 98, 1e-9);
    EXPECT_NEAR(job.scheme().byName("Nine")->size.height.inInches(), 10, 1e-9);
}

TEST(Groups, WhatIsPinnedStaysWhereItHangs) {
    std::vector<std::string> lines;
    for (int i = 1; i <= 6; ++i)
        lines.push_back(fmt::format("picture {} x 12 on wall C called P{}, at {}, 60", 8 + 2 * i, i,
                                    30 + 24 * i));
    lines.emplace_back("group P1, P2, P3, P4, P5 and P6 called Six");
    auto job = jobWith(lines);
    const auto pinned = at(job, "P3");
    job = said(job, "arrange Six as a salon, gap 2, keeping P3");
    EXPECT_NEAR(norm(at(job, "P3") - pinned), 0, 1e-6);
    EXPECT_EQ(job.scheme().members(job.scheme().byName("Six")->id).size(), 6U);
}

TEST(Groups, WhatFindsNoPlaceIsLeftOverAndSaid) {
    const auto job = jobWith({"picture 20 x 20 on wall C called A1, at 40, 60",
                              "picture 20 x 20 on wall C called A2, at 80, 60",
                              "picture 20 x 20 on wall C called A3, at 120, 60",
                              "group A1, A2 and A3 called Three"});
    const auto s = readLine("arrange Three as mirrored, gap 2", job);
    ASSERT_TRUE(s);
    EXPECT_NE(s->preview.find("left over"), std::string::npos) << s->preview;
    EXPECT_EQ(said(job, "arrange Three as mirrored, gap 2")
                  .scheme()
                  .members(job.scheme().byName("Three")->id)
                  .size(),
              2U);
}

TEST(Groups, AreRemovedWithAllTheyHoldAndCopiedPieceByPiece) {
    const auto job = jobWith({"picture 10 x 10 on wall C called One, at 40, 60",
                              "picture 10 x 10 on wall C called Two, at 60, 60",
                              "group One and Two called Pair", "picture on wall A called Other"});
    const auto gone = said(job, "remove Pair");
    ASSERT_EQ(mezzet::test::hungIn(gone.scheme()).size(), 1U);
    EXPECT_EQ(mezzet::test::hungIn(gone.scheme())[0].name, "Other");
}

TEST(Groups, AreOfPiecesOfOneWall) {
    const auto job =
        jobWith({"picture on wall C called One", "picture on wall A called Two", "sofa"});
    EXPECT_FALSE(refusal(job, "group One and Two").what.empty());
    EXPECT_FALSE(refusal(job, "group One and sofa").what.empty());
    EXPECT_FALSE(refusal(job, "group One").what.empty());
}

TEST(Hanging, HowItIsHeldIsSaidAndKept) {
    const auto job =
        jobWith({"picture 30 x 20 on wall A called One, weighs 12 lb, on a wire, rings 5 "
                 "down, slack 2, two hooks, frame 1 1/2, mat 3"});
    const Hanging& h = job.scheme().byName("One")->hanging;
    EXPECT_NEAR(h.weight->lb(), 12, 1e-9);
    EXPECT_EQ(h.mount, Mount::wire);
    EXPECT_EQ(h.hooks, 2);
    EXPECT_NEAR(h.slack->inInches(), 2, 1e-9);
    EXPECT_NEAR(h.ringsDown->inInches(), 5, 1e-9);
    EXPECT_NEAR(h.frame.inInches(), 1.5, 1e-9);
    EXPECT_NEAR(h.mat.inInches(), 3, 1e-9);
    // The job file keeps all of it.
    const auto again = readJob(jobText(job), "j", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(mezzet::test::hungIn((*again)->scheme())[0].hanging, h);
    EXPECT_EQ(jobText(**again), jobText(job));
}

TEST(Hanging, AJobWithWallsGroupsEyesAndPicturesReadsBackAsItWas) {
    auto job =
        jobWith({"sofa against wall A", "picture on wall A called One, 6 above sofa",
                 "arched mirror on wall A called Two, 2 right of One, level with One",
                 "eight-sided mirror on wall B", "household mixed", "school viewer-and-air",
                 "picture on wall C called P1, at 40, 60", "picture on wall C called P2, at 70, 60",
                 "group P1 and P2 called Pair, gap 3", "Pair at eye level, centred on wall C"});
    Picture pixel{"dot.png", "dot.png", "iVBORw0KGgo=", 1, 1};
    auto with = apply(job, {"picture", {PutPicture{"dot", pixel}}, {}});
    ASSERT_TRUE(with);
    job = said(*with->project, "One showing dot");
    const auto text = jobText(job);
    const auto again = readJob(text, "j", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), text);
    EXPECT_EQ((*again)->judgement.eyes.household, Household::mixed);
    EXPECT_EQ((*again)->pictures->at("dot").bytes, pixel.bytes);
}

TEST(Hanging, DamagedWallsOfAJobFileAreRefusedWhole) {
    const auto job = jobWith({"picture on wall A called One"});
    const auto text = jobText(job);
    const auto with = [&](std::string_view a, std::string_view b) {
        auto s = text;
        const auto i = s.find(a);
        EXPECT_NE(i, std::string::npos) << a;
        s.replace(i, a.size(), b);
        return s;
    };
    for (const auto& bad :
         {with("\"wall\": \"A\"", "\"wall\": \"Q\""), with("\"wall\": \"A\"", "\"wall\": \"7\""),
          with("\"wall\": \"A\"", "\"wal\": \"A\""),
          with("\"mount\": \"wire\"", "\"mount\": \"glue\""),
          with("\"tie\": \"eye-level\"", "\"tie\": \"against\"")})
        EXPECT_FALSE(readJob(bad, "bad", library()));
}

TEST(Shelves, AreCarriedRoundTheCornerLevelWithThemselves) {
    auto job = jobWith({"floating shelf 30 x 10 on wall B, 20 from right corner, top at 54"});
    job = said(job, "wrap floating shelf round the corner 18");
    ASSERT_EQ(mezzet::test::hungIn(job.scheme()).size(), 2U);
    EXPECT_NEAR(at(job, "Floating shelf").x, 180 - 15, 1e-9) << "drawn up to the corner";
    const Piece beyond =
        mezzet::test::hungIn(job.scheme())[1]; // a copy: the job is said anew below
    EXPECT_EQ(beyond.on, onWall(2));
    EXPECT_NEAR(beyond.pose.at.x / 25.4, 10 + 9, 1e-9) << "from the first one's front edge on";
    job = said(job, "floating shelf top at 60");
    const Piece wrapped = mezzet::test::hungIn(job.scheme())[1];
    EXPECT_NEAR((wrapped.pose.at.y + beyond.size.height.mm() / 2) / 25.4, 60, 1e-9);
    EXPECT_FALSE(
        refusal(jobWith({"picture on wall A"}), "wrap picture round the corner 10").what.empty());
}

TEST(Hanging, RemovingWhatItHangsOverLeavesItWhereItIs) {
    auto job = jobWith({"sofa against wall A", "picture on wall A called One, 6 above sofa"});
    const auto before = at(job, "One");
    job = said(job, "remove sofa");
    EXPECT_NEAR(norm(at(job, "One") - before), 0, 1e-9);
    EXPECT_TRUE(job.scheme().byName("One")->ties.empty());
}

TEST(Hanging, WhatHungOnAWallThatIsGoneHangsOnTheLastOneAndIsTold) {
    const auto job = jobWith({"picture on wall D called One"});
    const auto next = apply(job, {"measure",
                                  {SetNotes{"room Plain\nwall A 10'\nwall B 10'\nwall C "
                                            "10'\n"}},
                                  {}});
    ASSERT_TRUE(next) << next.problem().text();
    EXPECT_EQ(mezzet::test::hungIn(next->project->scheme())[0].on, onWall(2));
    ASSERT_FALSE(next->notices.empty());
    EXPECT_NE(next->notices[0].find("wall D is gone"), std::string::npos);
    EXPECT_FALSE(apply(job, {"measure", {SetNotes{"room Plain\n"}}, {}})) << "there is no wall";
}

TEST(Dragging, DownTakesWhatHangsBelowFartherOff) {
    const auto job =
        jobWith({"picture 20 x 16 called One on wall C, centre at 70, centred on wall C",
                 "picture 20 x 16 called Two on wall C, 3 below One, centred on One"});
    const auto moved = drag(job, **sceneOf(job), {job.scheme().byName("Two")->id}, {0, -2 * 25.4},
                            DragTies::revalue);
    const auto next = apply(job, moved.edit);
    ASSERT_TRUE(next);
    EXPECT_NEAR((poseOf(job, "Two").at.y - poseOf(*next->project, "Two").at.y) / 25.4, 2, 1e-9);
    for (const Tie& t : next->project->scheme().byName("Two")->ties)
        if (t.kind == Tie::Kind::below)
            EXPECT_NEAR(t.distance.inInches(), 5, 1e-9);
}
