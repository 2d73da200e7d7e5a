#include "geometry/gap.h"
#include "geometry/lane.h"
#include "geometry/polygon.h"

#include <gtest/gtest.h>

#include <numbers>

using namespace mezzet;
using namespace mezzet::literals;

namespace {
Shape at(const Shape& s, double x, double y, double degrees = 0) {
    return placed(s, {{x, y}, Angle::degrees(degrees)});
}
const Shape square = rectangle(100_mm, 100_mm);
} // namespace

TEST(Gap, BetweenTwoBoxesIsTheClearSpace) {
    const auto g = gapBetween(at(square, 0, 0), at(square, 150, 20));
    EXPECT_NEAR(g.apart.mm(), 50, 1e-9);
    EXPECT_NEAR(g.onFirst.x, 50, 1e-9);
    EXPECT_NEAR(g.onSecond.x, 100, 1e-9);
}

TEST(Gap, CornerToCornerIsTheDiagonal) {
    EXPECT_NEAR(gapBetween(at(square, 0, 0), at(square, 130, 140)).apart.mm(), 50, 1e-9); // 3-4-5
}

TEST(Gap, OfARoundIsFromItsRim) {
    EXPECT_NEAR(gapBetween(at(oval(100_mm, 100_mm), 0, 0), at(square, 200, 0)).apart.mm(), 100,
                1e-9);
    EXPECT_NEAR(gapBetween(at(oval(200_mm, 100_mm), 0, 0), at(square, 300, 0)).apart.mm(), 150,
                1e-6);
    EXPECT_NEAR(gapBetween(at(oval(200_mm, 100_mm), 0, 0, 90), at(square, 300, 0)).apart.mm(), 200,
                1e-6);
}

TEST(Gap, RoundedCornersGiveWay) {
    const auto r = rectangle(100_mm, 100_mm, 20_mm);
    const double sharp = gapBetween(at(square, 0, 0), at(square, 130, 140)).apart.mm();
    const double round = gapBetween(at(r, 0, 0), at(r, 130, 140)).apart.mm();
    // Corner centres are 30 + 40, 40 + 40 apart; two radii come off.
    EXPECT_NEAR(round, std::hypot(70, 80) - 40, 1e-9);
    EXPECT_GT(round, sharp);
}

TEST(Gap, TouchingIsNoOverlap) {
    const auto g = gapBetween(at(square, 0, 0), at(square, 100, 0));
    EXPECT_NEAR(g.apart.mm(), 0, 1e-9);
    EXPECT_LE(g.depth.mm(), 1e-6);
}

TEST(Gap, DepthIsTheShortestMoveThatParts) {
    const auto a = at(square, 0, 0);
    const auto b = at(square, 90, 10);
    const auto g = gapBetween(a, b);
    EXPECT_NEAR(g.depth.mm(), 10, 1e-9);
    const Vec2 out = -g.direction * g.depth.mm();
    EXPECT_LE(gapBetween(at(square, out.x, out.y), b).depth.mm(), 1e-6);
}

TEST(Gap, OfAnLReachesIntoItsNotch) {
    const auto l = ell(200_mm, 150_mm, 60_mm, 50_mm, true);
    EXPECT_NEAR(gapBetween(at(l, 0, 0), at(rectangle(20_mm, 20_mm), -50, 30)).apart.mm(),
                20 - (-75 + 60), 1e-9);
}

TEST(Shape, AnLIsDrawnAsOneOutline) {
    for (const bool right : {true, false}) {
        const auto o = outline(ell(200_mm, 150_mm, 60_mm, 50_mm, right));
        ASSERT_EQ(o.size(), 6U);
        EXPECT_NEAR(signedArea(o), 200 * 60 + 50 * 90, 1e-6);
        EXPECT_FALSE(selfCrossing(o));
    }
}

TEST(Shape, OutlinesHoldTheirArea) {
    EXPECT_NEAR(signedArea(outline(oval(1000_mm, 1000_mm), 0.001_mm)), std::numbers::pi * 250000,
                5);
    EXPECT_NEAR(signedArea(outline(oval(1000_mm, 600_mm), 0.001_mm)), std::numbers::pi * 150000, 5);
    EXPECT_NEAR(signedArea(outline(rectangle(100_mm, 80_mm, 10_mm), 0.001_mm)),
                8000 - (4 - std::numbers::pi) * 100, 0.5);
    EXPECT_NEAR(signedArea(outline(sector({0, 0}, {1, 0}, Angle::degrees(90), 800_mm), 0.001_mm)),
                std::numbers::pi * 160000, 5);
}

TEST(Shape, DegenerateSizesDoNoHarm) {
    const auto nothing = rectangle(0_mm, 0_mm);
    EXPECT_NEAR(gapBetween(at(nothing, 0, 0), at(square, 100, 0)).apart.mm(), 50, 1e-9);
    EXPECT_NEAR(gapBetween(at(nothing, 0, 0), at(nothing, 0, 0)).apart.mm(), 0, 1e-9);
    const auto flat = stretch({{0, 0}, {100, 0}});
    EXPECT_NEAR(gapBetween(flat, stretch({{50, 0}, {200, 0}})).apart.mm(), 0, 1e-6);
}

TEST(Lane, FindsTheFirstThingAhead) {
    const Lane lane{{0, 0}, {0, 1}, 50_mm};
    const auto p = firstInLane(lane, at(square, 20, 300));
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->y, 250, 1e-6);
    EXPECT_FALSE(firstInLane(lane, at(square, 120, 300)));
    EXPECT_FALSE(firstInLane(lane, at(square, 0, -300)));
    EXPECT_FALSE(firstInLane(lane, at(square, 100, 300))) << "touching the side is not in the lane";
}

TEST(Lane, FollowsARoundRim) {
    // A circle of radius 100 whose middle lies 130 aside: the lane's side at 50 meets it 80 from
    // its middle.
    const auto p = firstInLane({{0, 0}, {0, 1}, 50_mm}, at(oval(200_mm, 200_mm), 130, 400));
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->y, 400 - 60, 1e-6); // 60-80-100
}

TEST(Polygon, KnowsInsideFromOutside) {
    const std::vector<Vec2> ell{{0, 0}, {4, 0}, {4, 2}, {2, 2}, {2, 4}, {0, 4}};
    EXPECT_TRUE(insideOutline(ell, {1, 3}));
    EXPECT_FALSE(insideOutline(ell, {3, 3}));
    EXPECT_TRUE(insideOutline(ell, {2, 3})) << "the edge is inside";
    EXPECT_DOUBLE_EQ(signedArea(ell), 12);
}

TEST(Polygon, FindsAnOutlineThatCrossesItself) {
    const std::vector<Vec2> bow{{0, 0}, {4, 4}, {4, 0}, {0, 4}};
    EXPECT_TRUE(selfCrossing(bow));
}

TEST(Gap, StretchesThatShareAnEndTouchThere) {
    const std::array<Vec2, 4> c{Vec2{0, 0}, {4000, 0}, {4000, 3000}, {0, 3000}};
    for (std::size_t i = 0; i < 4; ++i) {
        const Gap g =
            gapBetween(stretch({c[i], c[(i + 1) % 4]}), stretch({c[(i + 1) % 4], c[(i + 2) % 4]}));
        EXPECT_EQ(g.apart.mm(), 0);
        EXPECT_NEAR(norm(g.onFirst - c[(i + 1) % 4]), 0, 1e-6) << i;
        EXPECT_NEAR(norm(g.onSecond - c[(i + 1) % 4]), 0, 1e-6) << i;
    }
    // Two in one line, end to end.
    const Gap line = gapBetween(stretch({{0, 0}, {1000, 0}}), stretch({{1000, 0}, {2500, 0}}));
    EXPECT_NEAR(norm(line.onFirst - Vec2{1000, 0}), 0, 1e-6);
}
