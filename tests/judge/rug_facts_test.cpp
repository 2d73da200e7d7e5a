// What rugs are cut from, where their seams fall, what their edges cost.
#include "judge/rug_facts.h"

#include "geometry/polygon.h"
#include "jobs.h"
#include "scheme/rug.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

struct Cuts {
    Project job;
    ScenePtr scene;
    std::vector<RugCutOff> all;
};
Cuts cutsOf(const std::vector<std::string>& lines, const char* notes = plainNotes()) {
    Cuts out{jobWith(lines, notes), {}, {}};
    out.scene = *sceneOf(out.job);
    auto cuts = rugsToCut(FloorView(*out.scene), *out.job.library.book);
    if (!cuts)
        throw std::runtime_error(cuts.problem().text());
    out.all = *cuts;
    return out;
}

const char* stairs = "room Hall\nceiling 8'\nwall A 20'\nwall B 8'\nwall C 20'\n stairs 24 from "
                     "left, 36 wide, riser 7 1/2, going 10, count 13, up right\nwall D 8'\n";

} // namespace

TEST(RugsToCut, ThePileRunsAlongTheLongerSideUnlessItIsTold) {
    const auto c =
        cutsOf({"rug 96 x 60 called Wide at 60, 60", "rug 60 x 96 called Deep at 180, 60",
                "rug 96 x 60 called Across at 60, 140", "Across pile across"});
    ASSERT_EQ(c.all.size(), 3U);
    for (std::size_t i = 0; i < 2; ++i) {
        EXPECT_NEAR(c.all[i].cut.across.inInches(), 60, 1e-9);
        EXPECT_NEAR(c.all[i].cut.along.inInches(), 96, 1e-9);
    }
    EXPECT_NEAR(c.all[2].cut.across.inInches(), 96, 1e-9);
    EXPECT_TRUE(c.all[0].cut.outline.empty()) << "a rectangle is its box";
}

TEST(RugsToCut, IsTurnedAndNeverMirrored) {
    const auto c =
        cutsOf({"rug called Ell, corners at 20, 20; 140, 20; 140, 60; 60, 60; 60, 90; 20, 90",
                "turn Ell 37"});
    ASSERT_EQ(c.all.size(), 1U);
    const RugCutOff& r = c.all.front();
    EXPECT_NEAR(norm(r.across), 1, 1e-9);
    EXPECT_NEAR(dot(r.across, r.along), 0, 1e-9);
    EXPECT_NEAR(cross(r.across, r.along), 1, 1e-9) << "the pile is on one face only";
    // Each corner of its outline is where it lies on the floor.
    const Piece& p = *c.job.scheme().byName("Ell");
    const auto floor = trueOutline(p, poseOf(c.job, "Ell"));
    ASSERT_EQ(r.cut.outline.size(), floor.size());
    for (std::size_t i = 0; i < floor.size(); ++i) {
        EXPECT_NEAR(norm(r.toFloor(r.cut.outline[i]) - floor[i]), 0, 1e-6);
        EXPECT_GE(r.cut.outline[i].x, -1e-6);
        EXPECT_LE(r.cut.outline[i].x, r.cut.across.mm() + 1e-6);
        EXPECT_LE(r.cut.outline[i].y, r.cut.along.mm() + 1e-6);
    }
}

TEST(RugsToCut, WhatIsBoughtAsItComesIsNotCut) {
    EXPECT_TRUE(cutsOf({"rug 96 x 60 called Bought at 60, 60", "Bought ready made"}).all.empty());
    EXPECT_TRUE(cutsOf({"sofa at 120, 90"}).all.empty());
}

TEST(RugsToCut, AStairsRunnerIsAsLongAsItIsDeveloped) {
    const auto c = cutsOf({"runner 27 wide called Flight on stairs 1"}, stairs);
    ASSERT_EQ(c.all.size(), 1U);
    EXPECT_FALSE(c.all[0].onFloor());
    EXPECT_NEAR(c.all[0].cut.across.inInches(), 27, 1e-9);
    EXPECT_NEAR(c.all[0].cut.along.inInches(), 13 * 7.5 + 12 * 10, 1e-9);
    const auto capped = cutsOf({"runner 27 wide called Flight on stairs 1, capped"}, stairs);
    EXPECT_NEAR(capped.all[0].cut.along.inInches(), 13 * 7.5 + 12 * 10 + 26, 1e-9);
}

TEST(RugsToCut, AStairsRunnerIsCutWhereTheStairTurns) {
    const auto c = cutsOf({"runner 27 wide called Flight on stairs 1, landing 36 after 6, turning, "
                           "winders after 10"},
                          stairs);
    ASSERT_EQ(c.all.size(), 1U);
    const auto groups = rollGroups(c.job.scheme(), c.all);
    ASSERT_EQ(groups.size(), 1U);
    RollAsk ask = rollAsk(*c.job.library.book, c.job.notation);
    ask.allowance = {};
    const auto plans = plansOf(groups[0], c.all, ask, {Length::feet(12)}, true);
    ASSERT_TRUE(plans) << plans.problem().text();
    const RollPlan& plan = plans->front();
    ASSERT_EQ(plan.parts.size(), 3U);
    EXPECT_TRUE(plan.seams.empty());
    const double along[] = {6 * 17.5, 36 + 4 * 17.5, 2 * 17.5 + 7.5};
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_EQ(plan.parts[i].part, static_cast<int>(i) + 1);
        EXPECT_NEAR(plan.parts[i].size.y / 25.4, along[i], 1e-6);
        EXPECT_NEAR(plan.parts[i].size.x / 25.4, 27, 1e-6);
    }
    EXPECT_NEAR(plan.length.inInches(), 36 + 70, 1e-6) << "side by side, the longest of them";
}

TEST(PricedSides, OfAStairsRunnerAreItsLongEdgesOverTheWholeOfIt) {
    const auto c = cutsOf({"runner 27 wide called Flight on stairs 1"}, stairs);
    const Piece& p = *c.job.scheme().byName("Flight");
    ASSERT_TRUE(c.all[0].runner);
    const auto sides = pricedSides(unrolled(p, c.all[0].cut.along), {}, *c.job.library.rugs);
    ASSERT_EQ(sides.size(), 4U);
    const double metre = c.job.library.rugs->edgeById("binding")->price;
    for (const std::size_t i : {0U, 2U}) {
        EXPECT_NEAR(sides[i].length.inInches(), 217.5, 1e-9);
        EXPECT_EQ(sides[i].finish, "binding");
        EXPECT_NEAR(sides[i].price, 217.5 * 0.0254 * metre, 0.006);
    }
    for (const std::size_t i : {1U, 3U}) {
        EXPECT_NEAR(sides[i].length.inInches(), 27, 1e-9);
        EXPECT_TRUE(sides[i].finish.empty()) << "its ends are tucked under";
    }
}

TEST(SeatOnRug, LegsStandWhereTheKindHasThem) {
    const auto kinds = readKit(R"({"format": "mezzet-kit 1", "unit": "in", "kinds": [
        {"id": "three-legged", "name": "Three-legged chair", "family": "seat", "role": "armchair",
         "size": [30, 30, 30], "legs": [[4, 4], [26, 4], [15, 29.5]]}]})",
                               "own.json");
    ASSERT_TRUE(kinds) << kinds.problem().text();
    Piece chair = pieceOf(std::make_shared<const Kind>(kinds->front()));
    Pose at;
    const auto on = [&](double back, double front) { // inches from the chair's middle
        const double b = back * 25.4;
        const double f = front * 25.4;
        return seatOnRug(chair, at, {{-1e4, b}, {1e4, b}, {1e4, f}, {-1e4, f}}, Length::inches(2),
                         Length::inches(6));
    };
    EXPECT_EQ(on(-20, 20).legs, 3);
    EXPECT_EQ(on(-20, 20).how, SeatOnRug::How::all);
    // The back legs' squares are 3 to 5 in from the back: 12 to 10 behind the middle.
    EXPECT_EQ(on(-12, 20).how, SeatOnRug::How::all);
    EXPECT_EQ(on(-11.9, 20).legsOn, 1);
    EXPECT_EQ(on(-11.9, 20).how, SeatOnRug::How::front);
    EXPECT_EQ(on(14, 20).legsOn, 0) << "the front leg, moved in, reaches from 13 to 15";
    chair.size.depth = Length::inches(60);
    EXPECT_EQ(on(-22, 40).legsOn, 1) << "stretched, they stand at 8 of 60: 23 to 21 behind";
    EXPECT_EQ(on(-23, 40).legsOn, 3);
}

TEST(RollGroups, AreOfOneMaterialAndOnePattern) {
    const auto c = cutsOf({"rug 60 x 40 called One at 40, 40", "One made of sisal",
                           "rug 60 x 40 called Two at 120, 40", "Two made of sisal, repeat 18",
                           "rug 60 x 40 called Three at 200, 40", "Three made of sisal"});
    const auto groups = rollGroups(c.job.scheme(), c.all);
    ASSERT_EQ(groups.size(), 2U);
    EXPECT_EQ(groups[0].cuts, (std::vector<std::size_t>{0, 2}));
    EXPECT_EQ(groups[1].cuts, (std::vector<std::size_t>{1}));
    EXPECT_NEAR(groups[1].repeat.inInches(), 18, 1e-9);
    const auto plans = plansOf(groups[0], c.all, rollAsk(*c.job.library.book, c.job.notation),
                               {Length::feet(12)}, true);
    ASSERT_TRUE(plans);
    EXPECT_EQ((*plans)[0].parts[1].cut, 2U) << "counted among all that is cut";
    const double area = 3.6576 * (*plans)[0].length.mm() / 1000;
    EXPECT_NEAR(groups[0].price((*plans)[0], *c.job.library.rugs),
                area * c.job.library.rugs->materialById("sisal")->price, 0.01);
}

TEST(PlansOf, ARollThatIsSaidHasToDo) {
    const auto c = cutsOf({"rug called Fill cut to the room, 10 off the walls"});
    const auto groups = rollGroups(c.job.scheme(), c.all);
    RollAsk whole = rollAsk(*c.job.library.book, c.job.notation);
    whole.seams = false;
    EXPECT_FALSE(plansOf(groups[0], c.all, whole, {Length::feet(12)}, true));
    EXPECT_TRUE(plansOf(groups[0], c.all, whole, {Length::feet(12), Length::feet(15)}, false));
}

TEST(SeamsOnFloor, AreOfWhatNoRollInStockTakes) {
    const auto seams = [](const char* notes) {
        const auto job = jobWith({"rug called Fill cut to the room, 10 off the walls"}, notes);
        const auto scene = *sceneOf(job);
        return seamsOnFloor(FloorView(*scene), *job.library.rugs, *job.library.book);
    };
    EXPECT_TRUE(seams(plainNotes()).empty()) << "160 in goes on 15 ft";
    const auto wide = seams("room Hall\nwall A 30'\nwall B 24'\nwall C 30'\nwall D 24'\n");
    ASSERT_EQ(wide.size(), 1U);
    EXPECT_NEAR(norm(wide[0].to - wide[0].from) / 25.4, 340, 0.01);
}

TEST(PricedSides, CostByLengthAndByTheTapesWidth) {
    const auto priced = [](const std::vector<std::string>& lines) {
        const auto job = jobWith(lines);
        return pricedSides(*job.scheme().byName("Ground"), poseOf(job, "Ground"),
                           *job.library.rugs);
    };
    const auto plain = priced({"rug 100 x 50 called Ground at 120, 90"});
    ASSERT_EQ(plain.size(), 4U);
    for (const auto& s : plain)
        EXPECT_EQ(s.price, 0) << "it has the edges it comes with";
    const auto bound = priced({"rug 100 x 50 called Ground at 120, 90", "Ground bound"});
    EXPECT_NEAR(bound[0].price, 2.54 * 9, 0.01);
    EXPECT_NEAR(bound[1].price, 1.27 * 9, 0.01);
    // Twice as wide a tape costs twice as much.
    const auto tape = priced({"rug 100 x 50 called Ground at 120, 90",
                              "Ground edges in leather tape 3", "Ground edge 1 in leather tape 6"});
    EXPECT_NEAR(tape[0].price / tape[2].price, 2, 0.01);
    EXPECT_EQ(mitres(tape), 4);
    EXPECT_EQ(mitres(bound), 0);
    const auto two =
        priced({"rug 100 x 50 called Ground at 120, 90", "Ground edges 1 and 2 in linen tape"});
    EXPECT_EQ(mitres(two), 1) << "where they meet";
    EXPECT_TRUE(two[2].finish.empty());
}

TEST(PricedSides, OneThatIsCutIsBoundUnlessItIsSaid) {
    const auto job = jobWith({"rug called Ground, corners at 20, 20; 120, 20; 120, 80; 20, 80"});
    for (const auto& s :
         pricedSides(*job.scheme().byName("Ground"), poseOf(job, "Ground"), *job.library.rugs))
        EXPECT_EQ(s.finish, "binding");
}

TEST(MainLines, AreStraightWhereNothingIsBetween) {
    const char* two =
        "room Two\nceiling 8'\nwall A 20'\n door 8' from left, 32 wide, 80 high, hinge "
        "left, swings out\nwall B 15'\nwall C 20'\n door 8' from left, 32 wide, 80 "
        "high, hinge left, swings out\nwall D 15'\n";
    const auto lines = [&](const std::vector<std::string>& said) {
        const auto job = jobWith(said, two);
        const auto scene = *sceneOf(job);
        const FloorView floor(*scene);
        const Length half = Length::inches(18);
        return mainLines(floor, floorWays(floor, {half * 2, false, {}, {}}), half);
    };
    const auto straight = lines({});
    ASSERT_EQ(straight.size(), 1U);
    EXPECT_EQ(straight[0].size(), 2U);
    const auto round = lines({"sofa 84 x 36 at 120, 90"});
    ASSERT_EQ(round.size(), 1U);
    EXPECT_GT(round[0].size(), 2U) << "round the sofa";
}

TEST(LiesOn, IsWholeOrNotAtAll) {
    const std::vector<Vec2> ell{{0, 0}, {100, 0}, {100, 50}, {40, 50}, {40, 100}, {0, 100}};
    const auto square = [](double x, double y, double side) {
        return std::vector<Vec2>{{x, y}, {x + side, y}, {x + side, y + side}, {x, y + side}};
    };
    EXPECT_TRUE(liesOn(ell, square(0, 0, 20)));
    EXPECT_TRUE(liesOn(ell, square(80, 30, 20))) << "touching two edges";
    EXPECT_FALSE(liesOn(ell, square(81, 30, 20)));
    EXPECT_FALSE(liesOn(ell, square(30, 40, 20))) << "over the inner corner";
    EXPECT_FALSE(liesOn(ell, square(60, 60, 20)));
    // The other way round it is the same.
    auto turned = square(0, 0, 20);
    std::reverse(turned.begin(), turned.end());
    EXPECT_TRUE(liesOn(ell, turned));
}

TEST(ReachWithin, IsToTheEdgeOneMeetsFirst) {
    const std::vector<Vec2> ell{{0, 0}, {100, 0}, {100, 50}, {40, 50}, {40, 100}, {0, 100}};
    EXPECT_NEAR(reachWithin(ell, {10, 25}, {1, 0}), 90, 1e-9);
    EXPECT_NEAR(reachWithin(ell, {10, 75}, {1, 0}), 30, 1e-9);
    EXPECT_NEAR(reachWithin(ell, {10, 25}, {-1, 0}), 10, 1e-9);
}

TEST(StandsOn, GoesByTheOutlineAndNotItsBox) {
    const auto job =
        jobWith({"rug called Ell, corners at 20, 20; 140, 20; 140, 60; 60, 60; 60, 120; "
                 "20, 120",
                 "stool 12 called Inner at 100, 40", "stool 12 called Outer at 120, 100"});
    const auto scene = *sceneOf(job);
    const Piece& rug = *job.scheme().byName("Ell");
    const auto on = [&](const char* name) {
        return standsOn(scene->byId(job.scheme().byName(name)->id)->shape, rug,
                        *scene->byId(rug.id));
    };
    EXPECT_TRUE(on("Inner"));
    EXPECT_FALSE(on("Outer"));
}
