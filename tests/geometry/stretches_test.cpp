// What is left of a line, worked by hand, and held against a count of its points.
#include "geometry/stretches.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <random>

using namespace mezzet;

namespace {

using Stretches = std::vector<Stretch>;

} // namespace

TEST(Stretches, OfALineWithNothingOnItAllIsLeft) {
    EXPECT_EQ(leftBy({}, 100), (Stretches{{0, 100}}));
    EXPECT_EQ(widestOf(leftBy({}, 100)), Stretch(0, 100));
}

TEST(Stretches, AreWhatLiesBeforeBetweenAndBehind) {
    EXPECT_EQ(leftBy({{30, 40}, {60, 90}}, 100), (Stretches{{0, 30}, {40, 60}, {90, 100}}));
    // In any order, over each other, one within another.
    EXPECT_EQ(leftBy({{60, 90}, {20, 50}, {30, 40}, {45, 55}}, 100),
              (Stretches{{0, 20}, {55, 60}, {90, 100}}));
}

TEST(Stretches, NothingIsLeftWhereAllIsTaken) {
    for (const Stretches& taken : {Stretches{{0, 100}}, Stretches{{-10, 60}, {60, 140}}}) {
        const auto left = leftBy(taken, 100);
        EXPECT_EQ(widestOf(left).second - widestOf(left).first, 0);
    }
    EXPECT_EQ(widestOf({}).first, widestOf({}).second);
}

TEST(Stretches, WhatReachesPastTheEndsCountsToThem) {
    EXPECT_EQ(widestOf(leftBy({{-20, 10}, {80, 130}}, 100)), Stretch(10, 80));
}

TEST(Stretches, TheFirstOfThoseAlikeIsTheWidest) {
    EXPECT_EQ(widestOf({{0, 20}, {30, 50}, {60, 75}}), Stretch(0, 20));
}

TEST(Stretches, AreTheSameWhateverTheOrderAndHoldNoPointThatIsTaken) {
    std::mt19937 any(17);
    std::uniform_int_distribution<int> at(0, 100);
    for (int round = 0; round < 300; ++round) {
        Stretches taken;
        for (int i = 0, many = at(any) % 7; i < many; ++i) {
            const int a = at(any);
            const int b = at(any);
            taken.emplace_back(std::min(a, b), std::max(a, b));
        }
        const auto left = leftBy(taken, 100);
        double free = 0;
        for (int i = 0; i < 100; ++i)
            free += std::none_of(taken.begin(), taken.end(),
                                 [&](Stretch t) { return t.first <= i && i + 1 <= t.second; });
        double found = 0;
        for (const Stretch& s : left) {
            EXPECT_LE(s.first, s.second);
            found += s.second - s.first;
        }
        EXPECT_EQ(found, free);
        std::shuffle(taken.begin(), taken.end(), any);
        EXPECT_EQ(leftBy(taken, 100), left);
    }
}
