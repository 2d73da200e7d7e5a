#include "geometry/polygon.h"
#include "geometry/shape.h"

#include "geometry/gap.h"

#include <gtest/gtest.h>

#include <random>

using namespace mezzet;

TEST(ConvexHull, HoldsEveryPointAndHasOnlyCornersOfThem) {
    std::mt19937 random(2);
    std::uniform_real_distribution<double> any(-1000, 1000);
    for (int run = 0; run < 200; ++run) {
        std::vector<Vec2> points(3 + random() % 40);
        for (Vec2& p : points)
            p = {any(random), any(random)};
        const auto hull = convexHull(points);
        ASSERT_GE(hull.size(), 3U);
        EXPECT_GT(signedArea(hull), 0) << "clockwise as drawn";
        for (const Vec2 p : points)
            EXPECT_TRUE(
                insideOutline(hull, p) ||
                std::any_of(hull.begin(), hull.end(), [&](Vec2 c) { return norm(c - p) < 1e-6; }));
        for (std::size_t i = 0; i < hull.size(); ++i) {
            const Vec2 a = hull[i];
            const Vec2 b = hull[(i + 1) % hull.size()];
            const Vec2 c = hull[(i + 2) % hull.size()];
            EXPECT_GT(cross(b - a, c - b), 0) << "it never bends inward";
        }
    }
}

TEST(ConvexHull, PointsInALineOrOnOneSpotHaveNone) {
    EXPECT_LT(convexHull({{0, 0}, {5, 5}, {10, 10}}).size(), 3U);
    EXPECT_EQ(convexHull({{1, 1}, {1, 1}, {1, 1}}).size(), 1U);
    EXPECT_TRUE(convexHull({}).empty());
    EXPECT_EQ(convexHull({{0, 0}, {10, 0}, {10, 10}, {0, 10}, {5, 0}, {5, 5}}).size(), 4U)
        << "points on an edge and inside go";
}

TEST(Convex, ItsInnerPointAndReachHoldEveryForm) {
    const Shape shapes[] = {
        rectangle(Length::millimetres(800), Length::millimetres(300)),
        rectangle(Length::millimetres(800), Length::millimetres(300), Length::millimetres(150)),
        oval(Length::millimetres(900), Length::millimetres(400)),
        sector({100, 50}, {1, 0}, Angle::degrees(90), Length::millimetres(700)),
        stretch({{0, 0}, {500, 200}})};
    for (const Shape& s : shapes) {
        const Convex& c = s.parts[0];
        const Vec2 in = insideOf(c);
        EXPECT_LT(gapBetween(c, stretch({in, in}).parts[0]).apart.mm(), 1e-6);
        for (const Vec2 p : outline(s))
            EXPECT_LE(norm(p - in), reachOf(c) + 0.06);
    }
}
