// What is left of outlines, and lines through them.
#include "geometry/polygon.h"
#include "geometry/regions.h"

#include <gtest/gtest.h>

#include <cmath>

using namespace mezzet;

namespace {

std::vector<Vec2> box(double x, double y, double w, double h) {
    return {{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}};
}

double areaOf(const std::vector<Region>& all) {
    double out = 0;
    for (const Region& r : all) {
        out += signedArea(r.edge);
        for (const auto& h : r.holes)
            out -= std::abs(signedArea(h));
    }
    return out;
}

} // namespace

TEST(Without, LeavesAnLWhereACornerIsTaken) {
    const auto left = without(box(0, 0, 1000, 800), {box(600, 500, 400, 300)});
    ASSERT_EQ(left.size(), 1U);
    EXPECT_EQ(left[0].edge.size(), 6U);
    EXPECT_NEAR(signedArea(left[0].edge), 1000 * 800 - 400 * 300, 1e-3);
    EXPECT_TRUE(left[0].holes.empty());
}

TEST(Without, TheLargestPartComesFirst) {
    const auto left = without(box(0, 0, 1000, 100), {box(300, -10, 100, 120)});
    ASSERT_EQ(left.size(), 2U);
    EXPECT_NEAR(signedArea(left[0].edge), 600 * 100, 1e-3);
    EXPECT_NEAR(signedArea(left[1].edge), 300 * 100, 1e-3);
}

TEST(Without, WhatStandsInTheMiddleIsAHole) {
    const auto left = without(box(0, 0, 1000, 1000), {box(400, 400, 200, 200)});
    ASSERT_EQ(left.size(), 1U);
    ASSERT_EQ(left[0].holes.size(), 1U);
    EXPECT_NEAR(areaOf(left), 1e6 - 4e4, 1e-3);
}

TEST(Without, OverlappingPiecesAreTakenOnce) {
    const auto left =
        without(box(0, 0, 1000, 1000), {box(0, 0, 500, 500), box(250, 250, 500, 500)});
    EXPECT_NEAR(areaOf(left), 1e6 - (2 * 25e4 - 250 * 250), 1e-2);
}

TEST(Without, NothingIsLeftOfWhatIsCovered) {
    EXPECT_TRUE(without(box(0, 0, 10, 10), {box(-5, -5, 50, 50)}).empty());
    EXPECT_EQ(without(box(0, 0, 100, 100), {}).size(), 1U);
    EXPECT_EQ(without(box(0, 0, 100, 100), {box(500, 500, 10, 10)}).size(), 1U);
}

TEST(Without, AnOutlineThatCrossesItselfHoldsNothing) {
    const std::vector<Vec2> bow{{0, 0}, {100, 100}, {100, 0}, {0, 100}};
    EXPECT_TRUE(without(bow, {}).empty());
    EXPECT_TRUE(without({{0, 0}, {10, 0}}, {}).empty());
    // What is taken and crosses itself takes nothing.
    EXPECT_NEAR(areaOf(without(box(0, 0, 200, 200), {bow})), 200 * 200, 1e-3);
}

TEST(Without, CornersThatMakeNoneAreLeftOut) {
    const auto left = without({{0, 0}, {50, 0.001}, {100, 0}, {100, 100}, {0, 100}}, {});
    ASSERT_EQ(left.size(), 1U);
    EXPECT_EQ(left[0].edge.size(), 4U);
}

TEST(Grown, IsSharpAtItsCornersAndShrinksUnderNothing) {
    const auto more = grown(box(0, 0, 100, 60), 10);
    ASSERT_EQ(more.size(), 1U);
    EXPECT_EQ(more[0].edge.size(), 4U);
    EXPECT_NEAR(signedArea(more[0].edge), 120 * 80, 1e-6);
    const auto less = grown(box(0, 0, 100, 60), -10);
    ASSERT_EQ(less.size(), 1U);
    EXPECT_NEAR(signedArea(less[0].edge), 80 * 40, 1e-6);
    EXPECT_TRUE(grown(box(0, 0, 100, 60), -40).empty());
}

TEST(CrossingsAlong, AreInOrderOnBothSides) {
    const std::vector<Vec2> ell{{0, 0}, {100, 0}, {100, 50}, {40, 50}, {40, 100}, {0, 100}};
    const auto low = crossingsAlong(ell, {10, 25}, {1, 0});
    ASSERT_EQ(low.size(), 2U);
    EXPECT_NEAR(low[0], -10, 1e-9);
    EXPECT_NEAR(low[1], 90, 1e-9);
    const auto high = crossingsAlong(ell, {10, 75}, {1, 0});
    ASSERT_EQ(high.size(), 2U);
    EXPECT_NEAR(high[1], 30, 1e-9);
    const auto down = crossingsAlong(ell, {70, 10}, {0, 1});
    ASSERT_EQ(down.size(), 2U);
    EXPECT_NEAR(down[0], -10, 1e-9);
    EXPECT_NEAR(down[1], 40, 1e-9);
    EXPECT_TRUE(crossingsAlong(ell, {200, 200}, {1, 0}).empty());
}
