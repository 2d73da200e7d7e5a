// The rules where rooms and pieces are not plain: rounds, corners, chimneys, outside corners.
#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

double inches(const Reading* r) {
    return r == nullptr ? -1e9 : r->value.value / 25.4;
}

const char* bentNotes() {
    // An L: 20 by 15 feet less 8 by 6 at the lower left, its outside corner at (96, 108) in.
    return "wall A 20'\nwall B 15'\nwall C 12'\nwall D 6'\ncorner out\nwall E 8'\nwall F 9'\n";
}

const char* chimneyNotes() {
    return "wall A 20'\nwall B 15'\n chimney 5' from left, 5' wide, 14 deep\nwall C 20'\nwall D "
           "15'\n";
}

} // namespace

TEST(RoundTables, AreMeasuredFromEachChairOutward) {
    const auto job = jobWith({"round table 48 at 60in, 90in",
                              "dining chair 18 x 20 called west, 1 left of round table, centred on "
                              "round table, facing round table",
                              "dining chair 18 x 20 called north, 1 behind round table, centred on "
                              "round table, facing round table"});
    const auto all = readingsOf(job);
    EXPECT_NEAR(inches(find(all, job, "dining-to-wall", "Round table", "wall D")), 36, 1e-3);
    EXPECT_NEAR(inches(find(all, job, "dining-to-wall", "Round table", "wall A")), 66, 1e-3);
    EXPECT_EQ(find(all, job, "dining-to-wall", "Round table", "wall B"), nullptr);
    EXPECT_NEAR(inches(find(all, job, "chair-pull-out", "west", "wall D")), 36, 1e-3);
}

TEST(RoundTables, WithoutChairsLookAllFourWays) {
    const auto job = jobWith({"round table 48 at 60in, 60in"});
    const auto all = readingsOf(job);
    EXPECT_NEAR(inches(find(all, job, "dining-to-wall", "Round table", "wall D")), 36, 1e-3);
    EXPECT_NEAR(inches(find(all, job, "dining-to-wall", "Round table", "wall A")), 36, 1e-3);
}

TEST(Chairs, AtADeskNeedTheirRoomToo) {
    const auto job = jobWith({"desk 54 x 26 30 from wall A, centred on wall A, facing wall C",
                              "desk chair 1 behind desk, centred on desk, facing desk"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "chair-pull-out", "Desk chair");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(inches(r), 30, 1e-3);
    EXPECT_EQ(r->verdict, Verdict::tight);
}

TEST(Chairs, ThatStandElsewhereAreNotJudged) {
    const auto job = jobWith({"dining table at 10', 7'", "dining chair at 3', 12', turned 180",
                              "dining chair called afar, at 10', 10', turned 0"});
    const auto all = readingsOf(job);
    EXPECT_EQ(find(all, job, "chair-pull-out", "Dining chair"), nullptr);
    EXPECT_EQ(find(all, job, "chair-pull-out", "afar"), nullptr)
        << "it turns its back on the table";
}

TEST(Chairs, BackToBackShareTheRoomBetween) {
    const auto job =
        jobWith({"dining table 60 x 36 called north table, at 120in, 40in",
                 "dining table 60 x 36 called south table, at 120in, 140in",
                 "dining chair called a, 1 in front of north table, centred on north table",
                 "dining chair called b, 1 behind south table, centred on south table"});
    const auto all = readingsOf(job);
    // 64 in between the tables; the other chair stands 21 in into it.
    EXPECT_NEAR(inches(find(all, job, "chair-pull-out", "a", "b")), 64 - 21, 1e-3);
    EXPECT_NEAR(inches(find(all, job, "chair-pull-out", "b", "a")), 64 - 21, 1e-3);
}

TEST(LowTables, GoWithTheSeatsThatFaceThem) {
    const auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                 "coffee table 14 from sofa, centred on sofa",
                 "armchair called across, 14 in front of coffee table, centred on coffee table",
                 "armchair called turned away, at 10', 13', turned 0"});
    const auto all = readingsOf(job);
    EXPECT_NEAR(inches(find(all, job, "seat-to-table", "Coffee table", "Sofa")), 14, 1e-3);
    EXPECT_NEAR(inches(find(all, job, "seat-to-table", "Coffee table", "across")), 14, 1e-3);
    EXPECT_EQ(find(all, job, "seat-to-table", "Coffee table", "turned away"), nullptr);
    EXPECT_NE(find(all, job, "table-level", "Coffee table", "Sofa"), nullptr)
        << "the longest seat is the one it is level with";
    EXPECT_EQ(find(all, job, "table-level", "Coffee table", "across"), nullptr);
}

TEST(LowTables, OfTwoTheNearerIsTheSeatsOwn) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table called nigh, 14 from sofa, centred on sofa",
                              "coffee table called far, 3 in front of nigh, centred on nigh"});
    const auto all = readingsOf(job);
    EXPECT_NE(find(all, job, "seat-to-table", "nigh", "Sofa"), nullptr);
    EXPECT_EQ(find(all, job, "seat-to-table", "far", "Sofa"), nullptr);
}

TEST(LowTables, AnArmchairIsNoSofaForTheTwoThirds) {
    const auto job = jobWith({"armchair against wall A, centred on wall A",
                              "coffee table 14 from armchair, centred on armchair"});
    const auto all = readingsOf(job);
    EXPECT_EQ(find(all, job, "table-to-sofa", "Coffee table"), nullptr);
    EXPECT_NE(find(all, job, "table-level", "Coffee table", "Armchair"), nullptr);
}

TEST(LowTables, AnOttomanWithATrayServesAsOne) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "tray ottoman 10 from sofa, centred on sofa"});
    const auto all = readingsOf(job);
    EXPECT_EQ(find(all, job, "seat-to-table", "Table ottoman", "Sofa")->verdict, Verdict::tight);
}

TEST(LowTables, OverlappingTheSeatIsUnderNothing) {
    const auto job =
        jobWith({"sofa 84 x 36 at 120in, 40in", "coffee table 48 x 26 at 120in, 66in"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seat-to-table", "Coffee table", "Sofa");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::tight);
    EXPECT_LT(r->value.value, 0);
    EXPECT_NE(find(all, job, "clash", "Coffee table", "Sofa"), nullptr);
}

TEST(InsideABentRoom, TheOutsideCornerCountsByTheWallsItHas) {
    const auto at = [](double x, double y) {
        return jobWith({fmt::format("trunk 40 x 20 at {}in, {}in", x, y)}, bentNotes());
    };
    const auto clear = at(80, 90);
    EXPECT_EQ(find(readingsOf(clear), clear, "inside", "Trunk"), nullptr);
    const auto through = at(60, 102); // 4 in past wall E, which is y = 108
    const auto all = readingsOf(through);
    const auto* r = find(all, through, "inside", "Trunk");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(inches(r), 4, 1e-3);
    const auto open = at(140, 120); // in the leg of the L, clear of wall D
    EXPECT_EQ(find(readingsOf(open), open, "inside", "Trunk"), nullptr);
}

TEST(Chimneys, AreAsSolidAsWalls) {
    const auto job = jobWith({"trunk 40 x 20 at 215in, 90in"}, chimneyNotes());
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "inside", "Trunk", "chimney");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(inches(r), 235 - 226, 1e-3);
    const auto clear =
        jobWith({"trunk 40 x 20 against chimney, centred on chimney"}, chimneyNotes());
    EXPECT_EQ(find(readingsOf(clear), clear, "inside", "Trunk"), nullptr);
    const auto table = jobWith({"round table 48 at 160in, 90in"}, chimneyNotes());
    const auto readings = readingsOf(table);
    EXPECT_NEAR(inches(find(readings, table, "dining-to-wall", "Round table", "chimney")),
                226 - 184, 1e-3);
}

TEST(Doors, ThatSwingOutLeaveTheFloorFree) {
    const auto job = jobWith({"stool 10 at 200in, 170in"},
                             "wall A 20'\nwall B 15'\nwall C 20'\n door 2' from left, 32 wide, "
                             "hinge right, swings out\nwall D 15'");
    EXPECT_EQ(find(readingsOf(job), job, "door-swing", "Stool"), nullptr);
}

TEST(Doors, WithoutAnUndercutLeaveARugANote) {
    const auto job = jobWith({"rug 60 x 40 at 200in, 150in"},
                             "wall A 20'\nwall B 15'\nwall C 20'\n door 2' from left, 32 wide, "
                             "hinge right, swings in\nwall D 15'");
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "rug-door", "Rug");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::note) << "what was not taped can't be judged";
}

TEST(Clashes, ArePairsAndDoNotComeTwice) {
    const auto job = jobWith(
        {"trunk 40 x 20 at 100in, 90in", "bench 40 x 20 at 120in, 90in", "pouf 20 at 110in, 90in"});
    int clashes = 0;
    for (const auto& r : readingsOf(job))
        clashes += std::string_view(r.rule->id) == "clash" ? 1 : 0;
    EXPECT_EQ(clashes, 3);
}

TEST(Clashes, AStoolGoesUnderADeskAndABarCartDoesNot) {
    const auto stool = jobWith({"desk 54 x 26 at 10', 7'", "stool 15 at 10', 7'"});
    EXPECT_EQ(find(readingsOf(stool), stool, "clash", "Stool"), nullptr);
    const auto cart = jobWith({"desk 54 x 26 at 10', 7'", "bar cart at 10', 7'"});
    EXPECT_NE(find(readingsOf(cart), cart, "clash", "Bar cart"), nullptr);
}

TEST(Remedies, LeaveLockedPiecesAlone) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 8 from sofa, centred on sofa", "lock coffee table"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seat-to-table", "Coffee table");
    ASSERT_NE(r, nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    if (remedy) {
        const auto after = apply(job, remedy->edit);
        EXPECT_EQ(poseOf(*after->project, "Coffee table"), poseOf(job, "Coffee table"));
    }
}

TEST(Remedies, TellWhatElseTheyUpset) {
    // Between two walls 70 in apart a table 30 deep can't have 36 on both sides.
    const auto job =
        jobWith({"dining table 40 x 30 30 from wall A, 30 from wall D, square to wall A",
                 "dining chair called n, 1 behind dining table, centred on dining table",
                 "dining chair called s, 1 in front of dining table, centred on dining "
                 "table"},
                "wall A 20'\nwall B 92in\nwall C 20'\nwall D 92in");
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "dining-to-wall", "Dining table", "wall A");
    ASSERT_NE(r, nullptr);
    ASSERT_EQ(r->verdict, Verdict::tight);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    EXPECT_FALSE(remedy->upsets.empty());
}
