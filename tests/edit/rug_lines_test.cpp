// Rugs as they are said: outlines, edges, pads, what is cut to the room.
#include "edit/line.h"
#include "edit/rug_outline.h"
#include "geometry/polygon.h"
#include "scheme/rug.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Piece& rugIn(const Project& job, const char* name) {
    return *job.scheme().byName(name);
}

double squareFeet(const Piece& p) {
    return areaOf(p) / (304.8 * 304.8);
}

/// A hall 30 by 5 feet with an opening in its long wall and a door at its end.
const char* hall =
    "room Hall\nceiling 8'\nwall A 30'\n opening 20' from left, 36 wide, 80 high\n"
    "wall B 5'\nwall C 30'\n door 3' from left, 30 wide, 80 high, hinge left, swings in\n"
    "wall D 5'\n";

} // namespace

TEST(RugLines, ARugHasTheCornersThatAreSaid) {
    const auto job =
        jobWith({"rug called Ell, corners at 24, 24; 120, 24; 120, 60; 72, 60; 72, 96; 24, 96"});
    const Piece& p = rugIn(job, "Ell");
    const auto corners = trueOutline(p, poseOf(job, "Ell"));
    ASSERT_EQ(corners.size(), 6U);
    EXPECT_NEAR(corners[0].x, 24 * 25.4, 1e-6);
    EXPECT_NEAR(corners[3].y, 60 * 25.4, 1e-6);
    EXPECT_NEAR(squareFeet(p), (96 * 36 + 48 * 36) / 144.0, 1e-9);
    EXPECT_EQ(sidesOf(p, p.pose).size(), 6U);
}

TEST(RugLines, AnOutlineThatCantBeIsRefusedAndChangesNothing) {
    const auto job = jobWith({});
    for (const char* line :
         {"rug corners at 24, 24; 120, 96; 120, 24; 24, 96", "rug corners at 24, 24; 120, 24",
          "rug corners at 24, 24; 60, 24; 120, 24", "rug corners at 24; 60, 24; 120, 24",
          "rug cut to the room, 200 off the walls",
          "rug cut to the room, 10 off the walls, 6 off the hearth",
          "rug cut to the room, ending at opening 7", "rug edge 9 in serging", "rug edges in gold",
          "rug on a pad 40", "rug repeat 0", "rug drop 9", "runner on stairs 1",
          "rug edge 1 in serging 3"}) {
        const auto p = refusal(job, line);
        EXPECT_FALSE(p.what.empty()) << line;
        EXPECT_FALSE(p.remedy.empty()) << line;
    }
}

TEST(RugLines, OneCutToTheRoomFollowsItWhenItIsMeasuredAgain) {
    Project job = jobWith({"rug called Ground cut to the room, 10 off the walls"});
    EXPECT_NEAR(squareFeet(rugIn(job, "Ground")), 220 * 160 / 144.0, 1e-6);
    std::string notes = job.notes;
    for (const char* wall : {"wall A 20'", "wall C 20'"}) {
        const auto at = notes.find(wall);
        ASSERT_NE(at, std::string::npos);
        notes.replace(at, std::string(wall).size(), std::string(wall).substr(0, 7) + "21'");
    }
    Edit e;
    e.acts.emplace_back(SetNotes{notes});
    const auto after = apply(job, e);
    ASSERT_TRUE(after) << after.problem().text();
    EXPECT_NEAR(squareFeet(rugIn(*after->project, "Ground")), 232 * 160 / 144.0, 1e-6);
}

TEST(RugLines, ItsBorderIsSaidAgain) {
    const auto job = jobWith(
        {"rug called Ground cut to the room", "Ground 12 off the walls", "Ground 20 off wall B"});
    EXPECT_NEAR(squareFeet(rugIn(job, "Ground")), (240 - 12 - 20) * (180 - 24) / 144.0, 1e-6);
}

TEST(RugLines, MovedByHandItKeepsItsOutlineAndFollowsNoLonger) {
    const auto job =
        jobWith({"rug called Ground cut to the room, 20 off the walls", "move Ground 3 right"});
    const Piece& p = rugIn(job, "Ground");
    EXPECT_TRUE(isCut(p));
    EXPECT_FALSE(p.rug->fit);
    EXPECT_NEAR(squareFeet(p), 200 * 140 / 144.0, 1e-6);
}

TEST(RugLines, AHallsRugEndsAtTheNearJamb) {
    // The opening is from 240 to 276 of 360: the longer part ends at 240.
    const auto job =
        jobWith({"rug called Ground cut to the room, 10 off the walls, ending at opening 1"}, hall);
    const auto corners = trueOutline(rugIn(job, "Ground"), poseOf(job, "Ground"));
    double right = 0;
    for (const Vec2 p : corners)
        right = std::max(right, p.x);
    EXPECT_NEAR(right / 25.4, 240, 1e-3);
    EXPECT_NEAR(squareFeet(rugIn(job, "Ground")), 230 * 40 / 144.0, 1e-3);
}

TEST(RugLines, AtTheEndOfAHallItGoesUpToTheWallsLine) {
    const char* arched = "room Hall\nceiling 8'\nwall A 30'\nwall B 5'\n opening 12 from left, 36 "
                         "wide, 80 high\nwall C 30'\nwall D 5'\n";
    const auto job = jobWith(
        {"rug called Ground cut to the room, 10 off the walls, ending at opening 1"}, arched);
    double right = 0;
    for (const Vec2 p : trueOutline(rugIn(job, "Ground"), poseOf(job, "Ground")))
        right = std::max(right, p.x);
    EXPECT_NEAR(right / 25.4, 360, 1e-3);
    EXPECT_NEAR(squareFeet(rugIn(job, "Ground")), 350 * 40 / 144.0, 1e-3);
}

TEST(RugLines, ItStopsShortOfADoorsSwing) {
    // Door 1 is in wall C, from 36 to 66 of it as one faces it: 294 to 324 along wall A.
    const auto job = jobWith(
        {"rug called Ground cut to the room, 10 off the walls, stopping short of door 1's swing"},
        hall);
    const auto corners = trueOutline(rugIn(job, "Ground"), poseOf(job, "Ground"));
    double right = 0;
    for (const Vec2 p : corners)
        right = std::max(right, p.x);
    EXPECT_NEAR(right / 25.4, 294, 1e-2);
}

TEST(RugLines, EdgesAreFinishedOneByOne) {
    const auto job = jobWith({"rug 96 x 60 called Ground at 120, 90", "Ground edges in serging",
                              "Ground edge 2 in leather tape 3"});
    const auto& edges = rugIn(job, "Ground").rug->edges;
    ASSERT_EQ(edges.size(), 2U);
    EXPECT_EQ(edges[0].finish, "serging");
    EXPECT_EQ(edges[1].finish, "leather-tape");
    EXPECT_NEAR(edges[1].width.inInches(), 3, 1e-9);
    const auto of = jobWith({"rug 96 x 60 called hall rug at 120, 90",
                             "edge 2 of hall rug in leather tape 3", "hall rug taped"});
    EXPECT_EQ(rugIn(of, "hall rug").rug->edges[0].edge, 2);
    EXPECT_TRUE(rugIn(of, "hall rug").rug->taped);
}

TEST(RugLines, WhatIsToldOfARugIsToldBeforeItIsDone) {
    const auto job = jobWith({"rug 96 x 60 called Ground at 120, 90"});
    const auto preview = [&](const char* line) { return readLine(line, job)->preview; };
    EXPECT_EQ(preview("edge 2 of Ground in leather tape 3"),
              "Finishes edge 2 of Ground in wide leather tape 3\"");
    EXPECT_EQ(preview("Ground edges in serging"), "Finishes all edges of Ground in serging");
    EXPECT_EQ(preview("Ground on a pad 1/8"), "Lays Ground on a pad 1/8\"");
    EXPECT_EQ(preview("Ground taped"), "Tapes Ground down");
    for (const char* line : {"Ground made of wool looped", "Ground pile across", "Ground repeat 18",
                             "Ground ready made", "Ground with seams", "Ground without a pad"})
        EXPECT_EQ(preview(line).find("nothing"), std::string::npos) << line;
}

TEST(RugLines, APadIsCountedUnlessItIsSaid) {
    const auto job = jobWith({"rug called Plain at 60, 60", "rug called Thin on a pad 1/8",
                              "rug called Bare without a pad"});
    EXPECT_NEAR(padUnder(rugIn(job, "Plain"), Length::inches(0.25)).inInches(), 0.25, 1e-9);
    EXPECT_NEAR(padUnder(rugIn(job, "Thin"), Length::inches(0.25)).inInches(), 0.125, 1e-9);
    EXPECT_EQ(padUnder(rugIn(job, "Bare"), Length::inches(0.25)), Length{});
}

TEST(RugLines, ACutRugOutlivesItsJobFile) {
    const auto job = jobWith(
        {"rug called Ground cut to the room, 10 off the walls, 14 off wall B, ending at door 1",
         "Ground edges in serging, edge 1 in linen tape 2, made of wool looped, on a pad 1/8, "
         "taped, "
         "repeat 18, drop 9, pile across"});
    const auto again = readJob(jobText(job), "again", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(*rugIn(job, "Ground").rug, *rugIn(**again, "Ground").rug);
    EXPECT_EQ(rugIn(job, "Ground").size, rugIn(**again, "Ground").size);
}

TEST(RugLines, ASizeGrowsAnOutlineInProportion) {
    const auto job = jobWith(
        {"rug called Ell, corners at 24, 24; 120, 24; 120, 60; 24, 60", "size Ell 48 wide"});
    EXPECT_NEAR(squareFeet(rugIn(job, "Ell")), 48 * 36 / 144.0, 1e-6);
}

TEST(RugLines, TurnedOrCopiedOrMirroredItFollowsNoLonger) {
    const std::string fill = "rug called Ground cut to the room, 40 off the walls, 60 off wall B";
    const auto turned = jobWith({fill, "turn Ground 10"});
    EXPECT_FALSE(rugIn(turned, "Ground").rug->fit);
    const auto copied = jobWith({fill, "copy Ground as Second"});
    EXPECT_TRUE(rugIn(copied, "Ground").rug->fit);
    EXPECT_FALSE(rugIn(copied, "Second").rug->fit) << "elsewhere it has other walls";
    EXPECT_EQ(rugIn(copied, "Second").rug->outline, rugIn(copied, "Ground").rug->outline);
}

TEST(RugLines, MirroredWithTheLayoutItsOutlineIsMirroredToo) {
    const auto job =
        jobWith({"rug called Ell, corners at 24, 24; 120, 24; 120, 60; 72, 60; 72, 96; 24, 96"});
    for (const char* line : {"mirror the layout", "mirror the layout front to back"}) {
        const auto said = readLine(line, job);
        ASSERT_TRUE(said) << said.problem().text();
        const auto after = apply(job, said->edit);
        ASSERT_TRUE(after);
        const Project& now = *after->project;
        const bool across = std::string(line) == "mirror the layout";
        std::vector<Vec2> was = trueOutline(rugIn(job, "Ell"), poseOf(job, "Ell"));
        const auto is = trueOutline(rugIn(now, "Ell"), poseOf(now, "Ell"));
        ASSERT_EQ(is.size(), was.size());
        // It is mirrored about the middle of what stands, which is the rug's own here or the
        // room's: every corner has a mirrored one at the same shift.
        Vec2 shift;
        for (Vec2& p : was)
            (across ? p.x : p.y) *= -1;
        for (std::size_t i = 0; i < is.size(); ++i) {
            if (i == 0)
                shift = is[0] - was[0];
            EXPECT_NEAR(norm(is[i] - was[i] - shift), 0, 1e-6) << line << ", corner " << i;
        }
    }
}

TEST(RugLines, MirroredARectanglesRightEdgeIsItsLeft) {
    const auto job = jobWith({"rug 96 x 60 called Ground at 60, 60", "Ground edge 2 in fringe"});
    const auto after = apply(job, readLine("mirror the layout", job)->edit);
    ASSERT_TRUE(after);
    EXPECT_EQ(rugIn(*after->project, "Ground").rug->edges[0].edge, 4);
}

TEST(RugLines, WhatItFollowsNowIsAllItFollows) {
    const char* notes =
        "room Hall\nceiling 8'\nwall A 20'\nwall B 10'\nwall C 20'\n stairs 24 from "
        "left, 36 wide, riser 7 1/2, going 10, count 13, up right\nwall D 10'\n";
    const auto cut = jobWith({"runner 27 wide called Flight on stairs 1",
                              "Flight corners at 24, 24; 120, 24; 120, 48; 24, 48"},
                             notes);
    EXPECT_EQ(rugIn(cut, "Flight").rug->stairs, 0);
    const auto fitted = jobWith(
        {"runner 27 wide called Flight on stairs 1", "Flight cut to the room, 10 off the walls"},
        notes);
    EXPECT_EQ(rugIn(fitted, "Flight").rug->stairs, 0);
    EXPECT_TRUE(rugIn(fitted, "Flight").rug->fit);
}

TEST(RugLines, FromAPieceItIsPlacedAndNotCut) {
    // "24 from sofa" is no border: it moves the carpet, which then keeps its outline.
    const auto job =
        jobWith({"sofa 84 x 36 at 120, 30", "rug called Ground cut to the room, 50 off the walls"});
    const auto said = readLine("Ground 12 from sofa anyway", job);
    if (said) {
        const auto after = apply(job, said->edit);
        ASSERT_TRUE(after);
        EXPECT_FALSE(rugIn(*after->project, "Ground").rug->fit);
    }
    const auto wall =
        jobWith({"sofa 84 x 36 at 120, 30", "rug called Ground cut to the room, 50 off the walls",
                 "Ground 60 from wall B"});
    ASSERT_TRUE(rugIn(wall, "Ground").rug->fit);
    EXPECT_NEAR(rugIn(wall, "Ground").size.width.inInches(), 240 - 110, 1e-6);
}

TEST(RugLines, ADoorThatSwingsOutIsToldToNeedNothing) {
    const char* out = "room Hall\nwall A 20'\nwall B 8'\nwall C 20'\n door 3' from left, 30 wide, "
                      "80 high, hinge left, swings out\nwall D 8'\n";
    const auto job = jobWith({}, out);
    const auto said =
        readLine("rug cut to the room, 10 off the walls, stopping short of door 1's swing", job);
    ASSERT_TRUE(said) << said.problem().text();
    EXPECT_NE(said->preview.find("nothing is kept clear"), std::string::npos) << said->preview;
}

TEST(RugLines, OneCutToAZoneIsAsLargeAsWhatStandsInIt) {
    const auto job = jobWith({"sofa 84 x 36 at 120, 40", "coffee table 48 x 24 at 120, 90",
                              "zone Seating is sofa and coffee table",
                              "rug called Ground cut to zone Seating, 12 beyond"});
    const Piece& p = rugIn(job, "Ground");
    EXPECT_NEAR(p.size.width.inInches(), 84 + 24, 1e-6);
    EXPECT_NEAR(p.size.depth.inInches(), (102 - 22) + 24, 1e-6);
    EXPECT_FALSE(refusal(job, "rug cut to zone Supper").what.empty());
}

TEST(RugLines, ARunnerGoesOverTheLandingsThatAreSaid) {
    const char* stairs =
        "room Hall\nceiling 8'\nwall A 20'\nwall B 8'\nwall C 20'\n stairs 24 from left, 36 "
        "wide, riser 7 1/2, going 10, count 13, up right\nwall D 8'\n";
    const auto job = jobWith({"runner 27 wide called Flight on stairs 1, pile 3/8",
                              "Flight winders after ten", "Flight landing 36 after 6 risers"},
                             stairs);
    EXPECT_EQ(rugOf(rugIn(job, "Flight")).breaks,
              (std::vector<StairBreak>{{6, Length::inches(36), false}, {10, {}, true}}));
    const auto back = readJob(jobText(job), "x", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ(rugOf(rugIn(**back, "Flight")), rugOf(rugIn(job, "Flight")));
    for (const char* line :
         {"Flight landing 36", "Flight landing 0 after 3", "Flight winders after 13",
          "Flight winders after", "rug 60 x 40 at 60, 60, landing 36 after 2"}) {
        const auto p = refusal(job, line);
        EXPECT_FALSE(p.what.empty()) << line;
        EXPECT_FALSE(p.remedy.empty()) << line;
    }
    const auto straight = jobWith(
        {"runner 27 wide called Flight on stairs 1, landing 36 after 6", "Flight in one flight"},
        stairs);
    EXPECT_TRUE(rugOf(rugIn(straight, "Flight")).breaks.empty());
}

TEST(RugLines, AnEdgesLengthIsSaid) {
    const auto job =
        jobWith({"rug called Ell, corners at 24, 24; 120, 24; 120, 60; 72, 60; 72, 96; "
                 "24, 96",
                 "edge 1 of Ell 108 long"});
    const auto sides = sidesOf(rugIn(job, "Ell"), poseOf(job, "Ell"));
    EXPECT_NEAR(sides[0].length.inInches(), 108, 1e-6);
    EXPECT_NEAR(sides[1].length.inInches(), 36, 1e-6) << "the one after it goes along, whole";
    EXPECT_NEAR(sides[2].length.inInches(), 60, 1e-6);
    for (const char* line :
         {"edge 9 of Ell 20 long", "edges 1 and 2 of Ell 20 long", "edge 1 of Ell 0 long"})
        EXPECT_FALSE(refusal(job, line).what.empty()) << line;
}

TEST(RugLines, AnEdgeIsMovedAlongItsNeighbours) {
    const auto job = jobWith({"rug called Wedge, corners at 24, 24; 120, 24; 100, 84; 44, 84"});
    const auto scene = *sceneOf(job);
    const int id = rugIn(job, "Wedge").id;
    const auto moved = moveRugEdge(job, *scene, id, 3, 12 * 25.4);
    ASSERT_TRUE(moved);
    const Piece& now = std::get<PutPiece>(moved->acts.front()).piece;
    const auto corners = trueOutline(now, now.pose);
    EXPECT_NEAR(corners[2].y / 25.4, 96, 1e-6);
    EXPECT_NEAR(corners[2].x / 25.4, 96, 1e-6) << "on the line of the edge before";
    EXPECT_NEAR(corners[3].x / 25.4, 48, 1e-6);
    EXPECT_NEAR(corners[0].x / 25.4, 24, 1e-6);
    EXPECT_FALSE(moveRugEdge(job, *scene, id, 5, 10));
    EXPECT_FALSE(moveRugEdge(job, *scene, id, 0, 10));
    EXPECT_FALSE(moveRugEdge(job, *scene, id, 3, -200 * 25.4)) << "it would turn about";
    EXPECT_FALSE(moveRugCorner(job, *scene, id, 7, {0, 0}));
    EXPECT_TRUE(moveRugCorner(job, *scene, id, 1, {300, 300}));
}

TEST(RugLines, BuildingLinesAreItsWallsCornersAndJambs) {
    const auto job = jobWith({});
    const auto lines = buildingLines(*job.room);
    const auto has = [&](Vec2 normal, double inches) {
        return std::any_of(lines.begin(), lines.end(), [&](const FloorLine& l) {
            return std::abs(dot(l.normal, normal)) > 0.999 &&
                   std::abs(std::abs(l.offset) - inches * 25.4) < 0.01;
        });
    };
    EXPECT_TRUE(has({1, 0}, 0) && has({1, 0}, 240) && has({0, 1}, 180));
    EXPECT_TRUE(has({1, 0}, 90) && has({1, 0}, 150)) << "the window's jambs";
    EXPECT_TRUE(has({1, 0}, 216) && has({1, 0}, 184)) << "the door's";
    EXPECT_FALSE(has({1, 0}, 100));
}
