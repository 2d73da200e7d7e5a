// Outlines of straight walls cut into boxes: by hand, and held against their area.
#include "geometry/boxes.h"
#include "geometry/polygon.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

using namespace mezzet;

namespace {

double areaOf(const std::vector<Box>& boxes) {
    double out = 0;
    for (const Box& b : boxes)
        out += b.size().x * b.size().y;
    return out;
}

} // namespace

TEST(Boxes, OfARectangleOne) {
    const std::vector<Vec2> room{{0, 0}, {6000, 0}, {6000, 4000}, {0, 4000}};
    const auto boxes = boxesOf(room);
    ASSERT_EQ(boxes.size(), 1U);
    EXPECT_EQ(boxes[0].size(), (Vec2{6000, 4000}));
}

TEST(Boxes, OfAnLTwoTheLargerWhole) {
    // 22 by 14 feet, and 10 by 6 below its left end.
    const std::vector<Vec2> room{{0, 0}, {22, 0}, {22, 14}, {10, 14}, {10, 20}, {0, 20}};
    const auto boxes = boxesOf(room, 0.001);
    ASSERT_EQ(boxes.size(), 2U);
    EXPECT_NEAR(areaOf(boxes), 22 * 14 + 10 * 6, 1e-9);
    EXPECT_NEAR(boxes[0].size().x * boxes[0].size().y, 22 * 14, 1e-9);
}

TEST(Boxes, OfATAndAUThree) {
    const std::vector<Vec2> t{{0, 0}, {9, 0}, {9, 2}, {6, 2}, {6, 5}, {3, 5}, {3, 2}, {0, 2}};
    EXPECT_EQ(boxesOf(t, 0.001).size(), 2U);
    const std::vector<Vec2> u{{0, 0}, {9, 0}, {9, 6}, {6, 6}, {6, 2}, {3, 2}, {3, 6}, {0, 6}};
    EXPECT_EQ(boxesOf(u, 0.001).size(), 3U);
}

TEST(Boxes, AreNoneWhereAWallSlants) {
    const std::vector<Vec2> cut{{0, 0}, {10, 0}, {12, 2}, {12, 8}, {0, 8}};
    EXPECT_TRUE(boxesOf(cut, 0.001).empty());
    // A tape's error is no slant.
    const std::vector<Vec2> taped{{0, 0}, {6000, 0.4}, {6000.3, 4000}, {-0.2, 4000}};
    EXPECT_EQ(boxesOf(taped).size(), 1U);
}

TEST(Boxes, HaveTheAreaOfTheOutlineAndDoNotLieOverEachOther) {
    std::mt19937 any(5);
    std::uniform_int_distribution<int> step(1, 9);
    for (int round = 0; round < 100; ++round) {
        // A stair of steps down to the right, closed along two straight sides.
        std::vector<Vec2> room{{0, 0}};
        double x = 0;
        double y = 0;
        for (int i = 0, steps = 1 + round % 5; i < steps; ++i) {
            x += step(any);
            room.push_back({x, y});
            y += step(any);
            room.push_back({x, y});
        }
        room.push_back({0, y});
        const auto boxes = boxesOf(room, 1e-6);
        EXPECT_NEAR(areaOf(boxes), std::abs(signedArea(room)), 1e-6);
        for (std::size_t i = 0; i < boxes.size(); ++i)
            for (std::size_t j = 0; j < i; ++j) {
                const double wide = std::min(boxes[i].high.x, boxes[j].high.x) -
                                    std::max(boxes[i].low.x, boxes[j].low.x);
                const double deep = std::min(boxes[i].high.y, boxes[j].high.y) -
                                    std::max(boxes[i].low.y, boxes[j].low.y);
                EXPECT_FALSE(wide > 1e-9 && deep > 1e-9);
            }
    }
}
