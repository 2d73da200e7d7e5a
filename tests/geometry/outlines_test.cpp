// Arches, eight-sided outlines, and what is shared among those who ask of outlines.
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "geometry/shape.h"

#include <gtest/gtest.h>

#include <array>
#include <cmath>
#include <numbers>
#include <random>

using namespace mezzet;
using namespace mezzet::literals;

TEST(Arch, HasARoundHeadOnASquareFoot) {
    const Shape a = arch(100_mm, 160_mm);
    const Box b = bounds(a);
    EXPECT_NEAR(b.size().x, 100, 1e-9);
    EXPECT_NEAR(b.size().y, 160, 1e-9);
    EXPECT_NEAR(norm(b.centre()), 0, 1e-9);
    EXPECT_TRUE(contains(a, {-49, -79})) << "its foot is square";
    EXPECT_FALSE(contains(a, {-49, 79})) << "its head is round";
    EXPECT_TRUE(contains(a, {0, 79.9}));
    // 100 by 110 of foot, and half a circle of 50.
    const double area = signedArea(outline(a, 0.01_mm));
    EXPECT_NEAR(area, 100 * 110 + std::numbers::pi * 50 * 50 / 2, 5);
}

TEST(Arch, LowerThanHalfItsWidthIsAFlatOne) {
    const Shape a = arch(200_mm, 60_mm);
    EXPECT_NEAR(bounds(a).size().y, 60, 1e-9);
    EXPECT_NEAR(bounds(a).centre().y, 0, 1e-9);
    EXPECT_TRUE(contains(a, {-99, -29}));
}

TEST(Octagon, HasEightEqualSidesWhenItIsAsWideAsHigh) {
    const auto ring = outline(octagon(100_mm, 100_mm));
    ASSERT_EQ(ring.size(), 8U);
    const double side = norm(ring[1] - ring[0]);
    for (std::size_t i = 0; i < 8; ++i)
        EXPECT_NEAR(norm(ring[(i + 1) % 8] - ring[i]), side, 1e-9);
    EXPECT_NEAR(side, 100 * (std::numbers::sqrt2 - 1), 1e-9);
    EXPECT_GT(signedArea(ring), 0) << "clockwise as drawn";
}

TEST(EllipsePerimeter, IsExactForACircleAndWithinOneInAHundredElse) {
    EXPECT_NEAR(ellipsePerimeter(40, 40), 2 * std::numbers::pi * 40, 1e-9);
    for (const auto& [a, b] : {std::pair{60.0, 40.0}, {100.0, 30.0}, {90.0, 20.0}}) {
        double walked = 0;
        constexpr int steps = 200000;
        for (int i = 0; i < steps; ++i) {
            const double t = 2 * std::numbers::pi * (i + 0.5) / steps;
            walked += std::hypot(a * std::sin(t), b * std::cos(t)) * 2 * std::numbers::pi / steps;
        }
        EXPECT_NEAR(ellipsePerimeter(a, b) / walked, 1, 0.01) << a << " by " << b;
    }
}

TEST(Clipped, KeepsTheSideItsNormalPointsTo) {
    const std::array<Vec2, 4> square{Vec2{0, 0}, {10, 0}, {10, 10}, {0, 10}};
    const auto right = clipped(square, {1, 0}, 4);
    EXPECT_NEAR(std::abs(signedArea(right)), 60, 1e-9);
    for (const Vec2 p : right)
        EXPECT_GE(p.x, 4 - 1e-9);
    EXPECT_NEAR(std::abs(signedArea(clipped(square, {1, 0}, -5))), 100, 1e-9);
    EXPECT_LT(clipped(square, {1, 0}, 20).size(), 3U);
}

TEST(Clipped, TwoHalvesMakeTheWholeAtAnyLine) {
    std::mt19937 random(4);
    std::uniform_real_distribution<double> at(-60, 60);
    for (int i = 0; i < 500; ++i) {
        const auto ring = convexHull({{at(random), at(random)},
                                      {at(random), at(random)},
                                      {at(random), at(random)},
                                      {at(random), at(random)},
                                      {at(random), at(random)}});
        if (ring.size() < 3)
            continue;
        const Vec2 n = unit({at(random), at(random)});
        const double offset = at(random) / 2;
        const double sum = std::abs(signedArea(clipped(ring, n, offset))) +
                           std::abs(signedArea(clipped(ring, -n, -offset)));
        EXPECT_NEAR(sum, signedArea(ring), 1e-6);
    }
}

TEST(Parts, AStretchAndAPlaceAreMeasuredLikeAnyShape) {
    EXPECT_NEAR(gapBetween(linePart({{0, 0}, {10, 0}}), pointPart({5, 7})).apart.mm(), 7, 1e-9);
    EXPECT_NEAR(gapBetween(pointPart({0, 0}), pointPart({3, 4})).apart.mm(), 5, 1e-9);
    EXPECT_NEAR(gapBetween(stretch({{0, 0}, {10, 0}}), stretch({{0, 6}, {10, 6}})).apart.mm(), 6,
                1e-9);
}

TEST(Outline, OfOnePartIsThatOfAShapeOfIt) {
    const Shape r = rectangle(40_mm, 20_mm, 5_mm);
    const auto one = outline(r.parts[0]);
    const auto all = outline(r);
    ASSERT_EQ(one.size(), all.size());
    EXPECT_NEAR(signedArea(one), signedArea(all), 1e-9);
    EXPECT_NEAR(signedArea(outline(r, 0.001_mm)), 40 * 20 - (4 - std::numbers::pi) * 25, 0.05);
}
