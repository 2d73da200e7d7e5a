// Setting several things out as one: forms, gaps, balance, and against every way there is.
#include "hang/group_parts.h"
#include "hang/group_solver.h"
#include "rounds.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <numeric>
#include <random>

using namespace mezzet;
using namespace mezzet::literals;

namespace {

GroupAsk asked(GroupForm form, const std::vector<std::pair<double, double>>& sizes,
               double gap = 2) {
    GroupAsk ask;
    ask.form = form;
    ask.gap = Length::inches(gap);
    int id = 0;
    for (const auto& [w, h] : sizes)
        ask.items.push_back({++id, Length::inches(w), Length::inches(h), {}});
    return ask;
}

std::vector<std::pair<double, double>> randomSizes(std::mt19937& random, int count) {
    std::uniform_int_distribution<int> side(6, 30);
    std::vector<std::pair<double, double>> out;
    for (int i = 0; i < count; ++i)
        out.emplace_back(side(random), side(random));
    return out;
}

/// No two closer than the gap; each within the gap of another, or less exactly.
void expectHangsTogether(const GroupAsk& ask, const GroupAnswer& a) {
    const double gap = ask.gap.mm();
    for (std::size_t i = 0; i < ask.items.size(); ++i)
        for (std::size_t k = i + 1; k < ask.items.size(); ++k) {
            const double dx = std::abs(a.centres[i].x - a.centres[k].x) -
                              (ask.items[i].width + ask.items[k].width).mm() / 2;
            const double dy = std::abs(a.centres[i].y - a.centres[k].y) -
                              (ask.items[i].height + ask.items[k].height).mm() / 2;
            EXPECT_GE(std::max(dx, dy), gap - 0.01) << i << " and " << k;
        }
}

/// The best cost over every pair of orders there is.
double everyWay(const GroupAsk& ask) {
    std::vector<int> first(ask.items.size());
    std::iota(first.begin(), first.end(), 0);
    double best = 1e9;
    do {
        std::vector<int> second(ask.items.size());
        std::iota(second.begin(), second.end(), 0);
        do {
            GroupAnswer a;
            a.centres = packedBy(first, second, ask);
            measure(ask, a);
            best = std::min(best, a.cost);
        } while (std::next_permutation(second.begin(), second.end()));
    } while (std::next_permutation(first.begin(), first.end()));
    return best;
}

} // namespace

TEST(Group, ARowOfThreeStandsAtItsGapAboutItsMiddle) {
    const auto ask = asked(GroupForm::row, {{18, 24}, {18, 24}, {18, 24}});
    const auto all = arrangeGroup(ask);
    ASSERT_FALSE(all.empty());
    EXPECT_NEAR(all[0].size.x / 25.4, 58, 1e-9);
    EXPECT_NEAR(all[0].size.y / 25.4, 24, 1e-9);
    EXPECT_NEAR(all[0].balance, 0, 1e-9);
    std::vector<double> x;
    for (const Vec2 c : all[0].centres)
        x.push_back(c.x / 25.4);
    std::sort(x.begin(), x.end());
    EXPECT_NEAR(x[0], -20, 1e-9);
    EXPECT_NEAR(x[1], 0, 1e-9);
    EXPECT_NEAR(x[2], 20, 1e-9);
}

TEST(Group, AGridOfNineIsThreeByThree) {
    const auto all = arrangeGroup(
        asked(GroupForm::grid, std::vector<std::pair<double, double>>(9, {11, 14}), 1.5));
    ASSERT_FALSE(all.empty());
    // Of 3 x 3 and the like, the outline that is most picture.
    EXPECT_NEAR(all[0].fill, 9 * 11 * 14 / (all[0].size.x / 25.4 * all[0].size.y / 25.4), 1e-9);
    EXPECT_NEAR(all[0].balance, 0, 1e-9);
    bool square = false;
    for (const auto& a : all)
        square = square ||
                 (std::abs(a.size.x / 25.4 - 36) < 1e-9 && std::abs(a.size.y / 25.4 - 45) < 1e-9);
    EXPECT_TRUE(square);
}

TEST(Group, StepsRiseWithTheStair) {
    auto ask = asked(GroupForm::stepped, {{12, 16}, {12, 16}, {12, 16}});
    ask.slope = 0.75;
    const auto all = arrangeGroup(ask);
    ASSERT_FALSE(all.empty());
    std::vector<Vec2> c = all[0].centres;
    std::sort(c.begin(), c.end(), [](Vec2 a, Vec2 b) { return a.x < b.x; });
    for (std::size_t i = 1; i < c.size(); ++i)
        EXPECT_NEAR((c[i].y - c[i - 1].y) / (c[i].x - c[i - 1].x), 0.75, 1e-9);
}

TEST(Group, MirroredHasTheSameOverAndUnderTheLineAndSaysWhatIsLeft) {
    const auto ask = asked(GroupForm::mirrored, {{10, 12}, {16, 20}, {10, 12}, {16, 20}, {8, 8}});
    const auto all = arrangeGroup(ask);
    ASSERT_FALSE(all.empty());
    ASSERT_EQ(all[0].leftOut, std::vector<int>{5});
    EXPECT_NEAR(all[0].centres[0].x, all[0].centres[2].x, 1e-9);
    EXPECT_NEAR(all[0].centres[0].y, -all[0].centres[2].y, 1e-6);
    EXPECT_NEAR(all[0].centres[1].y, -all[0].centres[3].y, 1e-6);
}

TEST(Group, ASpiralHasItsLargestNearTheMiddle) {
    const auto ask =
        asked(GroupForm::spiral, {{30, 24}, {8, 10}, {10, 8}, {12, 9}, {9, 12}, {8, 8}, {10, 10}});
    const auto all = arrangeGroup(ask);
    ASSERT_FALSE(all.empty());
    for (std::size_t i = 1; i < ask.items.size(); ++i)
        EXPECT_LT(norm(all[0].centres[0]), norm(all[0].centres[i]));
}

TEST(Group, PackingsKeepTheGapWhateverTheSizes) {
    std::mt19937 random(11);
    for (const GroupForm form :
         {GroupForm::row, GroupForm::column, GroupForm::grid, GroupForm::spiral, GroupForm::salon})
        for (const int n : {2, 5, 9}) {
            const auto ask = asked(form, randomSizes(random, n));
            const auto all = arrangeGroup(ask);
            ASSERT_FALSE(all.empty()) << groupFormName(form).data() << n;
            for (const auto& a : all)
                expectHangsTogether(ask, a);
        }
}

TEST(Group, ASalonComesWithinThreeInAHundredOfEveryWayThereIs) {
    std::mt19937 random(5);
    // The long run tries six things in every one of the half million ways.
    const bool many = test::longRun();
    for (int round = 0; round < 6; ++round) {
        const auto ask = asked(GroupForm::salon, randomSizes(random, many && round < 3 ? 6 : 5));
        const auto all = arrangeGroup(ask);
        ASSERT_FALSE(all.empty());
        EXPECT_LE(all[0].cost, everyWay(ask) * 1.03 + 1e-9) << "round " << round;
    }
}

TEST(Group, ARowComesWithinThreeInAHundredOfEveryOrder) {
    std::mt19937 random(6);
    for (int round = 0; round < 5; ++round) {
        const auto ask = asked(GroupForm::row, randomSizes(random, 7));
        std::vector<int> order(7);
        std::iota(order.begin(), order.end(), 0);
        double best = 1e9;
        do {
            GroupAnswer a;
            a.centres.resize(7);
            double run = 0;
            for (const int i : order) {
                const auto& item = ask.items[static_cast<std::size_t>(i)];
                a.centres[static_cast<std::size_t>(i)] = {run + item.width.mm() / 2, 0};
                run += (item.width + ask.gap).mm();
            }
            measure(ask, a);
            best = std::min(best, a.cost);
        } while (std::next_permutation(order.begin(), order.end()));
        EXPECT_LE(arrangeGroup(ask)[0].cost, best * 1.03 + 1e-9);
    }
}

TEST(Group, AnswersAreClearlyDifferentAndTheSameAskedTwice) {
    std::mt19937 random(9);
    const auto ask = asked(GroupForm::salon, randomSizes(random, 9));
    const auto all = arrangeGroup(ask);
    ASSERT_GE(all.size(), 3U);
    for (std::size_t i = 0; i < all.size(); ++i)
        for (std::size_t k = i + 1; k < all.size(); ++k)
            EXPECT_GE(differenceOf(all[i], all[k]), 0.12);
    const auto again = arrangeGroup(ask);
    for (std::size_t i = 0; i < all[0].centres.size(); ++i)
        EXPECT_EQ(all[0].centres[i], again[0].centres[i]);
}

TEST(Group, AnOutlineIsKeptWithinAndWhatDoesNotFitIsSaid) {
    auto ask = asked(GroupForm::salon, {{20, 20}, {20, 20}, {20, 20}, {20, 20}, {20, 20}});
    ask.within = Vec2{42 * 25.4, 42 * 25.4};
    const auto all = arrangeGroup(ask);
    ASSERT_FALSE(all.empty());
    bool kept = false;
    for (const auto& a : all)
        kept = kept ||
               (a.leftOut.size() == 1 && a.size.x <= 42 * 25.4 + 1 && a.size.y <= 42 * 25.4 + 1);
    EXPECT_TRUE(kept) << "four fit, and one is left";
}

TEST(Group, StoppedItGivesWhatItHas) {
    std::mt19937 random(9);
    auto ask = asked(GroupForm::salon, randomSizes(random, 30));
    int asks = 0;
    ask.goesOn = [&] { return ++asks < 3; };
    EXPECT_FALSE(arrangeGroup(ask).empty());
}

TEST(Group, FourSmallAnswerOneLarge) {
    // Four of 19 x 14 at 2 in make 40 x 30; three others don't.
    std::vector<GroupItem> pool;
    int id = 0;
    for (const auto& [w, h] :
         {std::pair{19.0, 14.0}, {8.0, 8.0}, {19.0, 14.0}, {19.0, 14.0}, {30.0, 5.0}, {19.0, 14.0}})
        pool.push_back({++id, Length::inches(w), Length::inches(h), {}});
    const auto set = setToMatch(pool, {40 * 25.4, 30 * 25.4}, 2_in, 4);
    ASSERT_TRUE(set);
    EXPECT_EQ(set->of, (std::vector<std::size_t>{0, 2, 3, 5}));
    EXPECT_NEAR(set->off, 0, 1e-9);
}

TEST(Group, NothingGivesNothingAndOneIsItself) {
    EXPECT_TRUE(arrangeGroup(asked(GroupForm::salon, {})).empty());
    const auto one = arrangeGroup(asked(GroupForm::salon, {{20, 16}}));
    ASSERT_EQ(one.size(), 1U);
    EXPECT_NEAR(one[0].fill, 1, 1e-9);
}

TEST(Group, ASeamThatIsTooLongIsSaidToBeAndOneThatIsNotIsMeasured) {
    std::mt19937 random(11);
    for (int round = 0; round < test::rounds(300, 3000); ++round) {
        const auto ask = asked(GroupForm::salon, randomSizes(random, 3 + round % 6));
        std::uniform_real_distribution<double> any(-900, 900);
        Boxes b;
        for (const auto& item : ask.items)
            b.add({any(random), any(random)}, item);
        const Vec2 size = measuresOf(b).size;
        const double whole = seamOf(b, size);
        EXPECT_GE(whole, 0);
        EXPECT_LE(whole, 1);
        for (const double most : {0.0, 0.2, 0.5, 0.8, 1.0, 1.5}) {
            const double found = seamOf(b, size, most);
            if (whole > most)
                EXPECT_GT(found, most) << round;
            else
                EXPECT_DOUBLE_EQ(found, whole) << round;
        }
    }
}

TEST(Group, FourAndMoreInAGridMakeRowsAndColumns) { // common practice
    for (std::size_t n = 4; n <= 12; ++n) {
        const auto all = arrangeGroup(
            asked(GroupForm::grid, std::vector<std::pair<double, double>>(n, {20, 28}), 2));
        ASSERT_FALSE(all.empty()) << n;
        for (const auto& a : all) {
            EXPECT_GT(a.size.y, 28 * 25.4 + 1) << n; // more than one row
            EXPECT_GT(a.size.x, 20 * 25.4 + 1) << n; // more than one column
        }
        EXPECT_LE(all[0].size.y, 1.5 * all[0].size.x) << n; // it lies, or nearly
    }
    const auto four = arrangeGroup(
        asked(GroupForm::grid, std::vector<std::pair<double, double>>(4, {20, 28}), 2));
    EXPECT_NEAR(four[0].size.x, 42 * 25.4, 1e-6);
    EXPECT_NEAR(four[0].size.y, 58 * 25.4, 1e-6);
}
