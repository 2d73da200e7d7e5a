// The adjustment against figures from outside and against chance itself.
#include "adjust/adjust.h"
#include "survey/traverse.h"

#include <gtest/gtest.h>

#include <random>

using namespace mezzet;

namespace {

using Kind = Observation::Kind;

/// A textbook traverse, in its own units.
struct Course {
    double length;
    double departure;
    double latitude;
    double balancedDeparture;
    double balancedLatitude;
};
// Ghilani and Wolf, Elementary Surveying, the worked traverse of the chapter on traverse
// computations: lengths in feet, departures and latitudes, and both balanced by the compass rule.
// From memory; the columns add up to the misclosure of 0.026 and 0.077 the book gives.
const Course book[] = {{647.25, 517.451, -388.815, 517.444, -388.835},
                       {203.03, 5.966, -202.942, 5.964, -202.948},
                       {720.35, 192.889, 694.045, 192.881, 694.022},
                       {610.24, -590.565, 153.708, -590.571, 153.689},
                       {285.13, -125.715, -255.919, -125.718, -255.928}};

std::vector<Vec2> rawBook() {
    std::vector<Vec2> raw{{0, 0}};
    for (const auto& c : book)
        raw.push_back(raw.back() + Vec2{c.departure, c.latitude});
    return raw;
}

} // namespace

TEST(Adjust, ThePublishedTraverseIsBalancedByTheCompassRule) {
    const auto raw = rawBook();
    EXPECT_NEAR(raw.back().x, 0.026, 1e-9);
    EXPECT_NEAR(raw.back().y, 0.077, 1e-9);
    const auto balanced = compassRule(raw);
    for (std::size_t i = 0; i < 5; ++i) {
        const Vec2 leg = balanced[(i + 1) % 5] - balanced[i];
        EXPECT_NEAR(leg.x, book[i].balancedDeparture, 0.001);
        EXPECT_NEAR(leg.y, book[i].balancedLatitude, 0.001);
    }
}

TEST(Adjust, LeastSquaresAgreesWithTheCompassRuleWhereBothMust) {
    // With every course equally sure along and across, its variance in proportion to its length,
    // least squares and the compass rule are the same (any textbook of adjustment).
    const auto raw = rawBook();
    const auto balanced = compassRule(raw);
    std::vector<Observation> seen;
    for (int i = 0; i < 5; ++i) {
        const Vec2 leg = raw[static_cast<std::size_t>(i) + 1] - raw[static_cast<std::size_t>(i)];
        const double sigma = std::sqrt(norm(leg)) * 1e-3;
        seen.push_back({Kind::distance, i, (i + 1) % 5, 0, norm(leg), sigma});
        seen.push_back(
            {Kind::bearing, i, (i + 1) % 5, 0, directionOf(leg).inRadians(), sigma / norm(leg)});
    }
    const auto a = adjust({raw.begin(), raw.begin() + 5}, seen);
    ASSERT_TRUE(a.determined);
    EXPECT_EQ(a.redundancy, 2);
    for (std::size_t i = 0; i < 5; ++i)
        EXPECT_NEAR(norm(a.points[i] - balanced[i]), 0, 2e-5) << i;
}

TEST(Adjust, ThreeFourFiveWithOneSideLongIsSharedByTheWeights) {
    // Worked by hand: a line of 100 measured twice, 100 (sigma 1) and 103 (sigma 2); the weighted
    // mean is (100 + 103 / 4) / (1 + 1 / 4) = 100.6, its sigma 1 / sqrt(1.25).
    const auto a = adjust({{0, 0}, {100, 0}},
                          {{Kind::distance, 0, 1, 0, 100, 1}, {Kind::distance, 0, 1, 0, 103, 2}});
    ASSERT_TRUE(a.determined);
    EXPECT_NEAR(a.points[1].x, 100.6, 1e-9);
    EXPECT_NEAR(a.ellipses[1].major, 1 / std::sqrt(1.25), 1e-9);
    EXPECT_NEAR(a.share[0], 0.2, 1e-9);
    EXPECT_NEAR(a.share[1], 0.8, 1e-9);
    EXPECT_NEAR(a.chiSquare, 0.36 + 2.4 * 2.4 / 4, 1e-9);
    EXPECT_NEAR(std::abs(a.standardised[0]), std::abs(a.standardised[1]), 1e-9)
        << "of two alone neither is to blame";
}

TEST(Adjust, RedundancyNumbersAddUpToTheRedundancy) {
    const std::vector<Vec2> c{{0, 0}, {4000, 0}, {4000, 3000}, {0, 3000}};
    std::vector<Observation> seen;
    for (int i = 0; i < 4; ++i) {
        const auto k = static_cast<std::size_t>(i);
        seen.push_back({Kind::distance, i, (i + 1) % 4, 0, norm(c[(k + 1) % 4] - c[k]) + i, 3});
        seen.push_back({Kind::angle, i, (i + 1) % 4, (i + 2) % 4, 1.5707963, 0.01});
    }
    seen.push_back({Kind::distance, 0, 2, 0, 5001, 3});
    const auto a = adjust(c, seen);
    ASSERT_TRUE(a.determined);
    EXPECT_EQ(a.redundancy, 4);
    double sum = 0;
    for (const double s : a.share)
        sum += s;
    EXPECT_NEAR(sum, 4, 1e-9);
}

TEST(Adjust, WhatNothingHoldsIsSaidNotGuessed) {
    const std::vector<Vec2> c{{0, 0}, {4000, 0}, {4000, 3000}, {0, 3000}};
    std::vector<Observation> runs;
    for (int i = 0; i < 4; ++i)
        runs.push_back({Kind::distance, i, (i + 1) % 4, 0, i % 2 == 0 ? 4000.0 : 3000.0, 3});
    EXPECT_FALSE(adjust(c, runs).determined) << "four runs make a lozenge of any slant";
    runs.push_back({Kind::distance, 0, 2, 0, 5000, 3});
    EXPECT_TRUE(adjust(c, runs).determined);
    EXPECT_FALSE(adjust({{0, 0}, {1, 0}, {1, 0}}, {}).determined);
    EXPECT_FALSE(adjust({}, {}).determined);
}

TEST(Adjust, AnOffsetHoldsAPointOffALine) {
    const std::vector<Vec2> start{{0, 0}, {4000, 0}, {4000, 3000}, {900, 800}};
    const std::vector<Observation> seen{{Kind::distance, 0, 1, 0, 4000, 3},
                                        {Kind::distance, 1, 2, 0, 3000, 3},
                                        {Kind::angle, 0, 1, 2, 1.5707963267948966, 0.001},
                                        {Kind::offset, 0, 1, 3, 750, 3},
                                        {Kind::offset, 1, 2, 3, 3000, 3}};
    const auto a = adjust(start, seen);
    ASSERT_TRUE(a.determined);
    EXPECT_NEAR(norm(a.points[3] - Vec2{1000, 750}), 0, 1e-6);
}

TEST(Adjust, EllipsesHoldWhatTheyClaim) {
    // Monte Carlo: a true room plus noise, 10,000 times. The standard ellipse holds 39.35 % and
    // 2.4477 times it 95 % (chi-squared, two degrees of freedom). Four standard errors of a count
    // of 10,000 are 0.0196 and 0.0087.
    const std::vector<Vec2> truth{{0, 0}, {5200, 0}, {5200, 2400}, {3100, 4100}, {0, 4100}};
    const int n = 5;
    std::vector<Observation> exact;
    for (int i = 0; i < n; ++i) {
        exact.push_back({Kind::distance, i, (i + 1) % n, 0, 0, 3.5});
        exact.push_back({Kind::angle, i, (i + 1) % n, (i + 2) % n, 0, 0.009});
    }
    exact.push_back({Kind::distance, 0, 3, 0, 0, 4});
    exact.push_back({Kind::distance, 1, 4, 0, 0, 4});
    for (auto& o : exact)
        o.value = computed(o, truth);
    std::mt19937 random(2026);
    std::normal_distribution<double> unitNormal;
    std::array<std::array<int, 2>, 5> held{};
    double chi = 0;
    int redundancy = 0;
    constexpr int runs = 10000;
    for (int k = 0; k < runs; ++k) {
        auto seen = exact;
        for (auto& o : seen)
            o.value += o.sigma * unitNormal(random);
        const auto a = adjust(truth, seen);
        ASSERT_TRUE(a.determined);
        chi += a.chiSquare / runs;
        redundancy = a.redundancy;
        for (std::size_t i = 1; i < 5; ++i) {
            const Ellipse& e = a.ellipses[i];
            const Vec2 off = turned(a.points[i] - truth[i], -e.turn);
            if (i == 1) { // held to the line of wall A: one degree of freedom
                held[i][0] += std::abs(off.x) <= e.major ? 1 : 0;
                held[i][1] += std::abs(off.x) <= 1.95996 * e.major ? 1 : 0;
                continue;
            }
            const double r = std::hypot(off.x / e.major, off.y / e.minor);
            held[i][0] += r <= 1 ? 1 : 0;
            held[i][1] += r <= ninetyFive ? 1 : 0;
        }
    }
    for (std::size_t i = 1; i < 5; ++i) {
        EXPECT_NEAR(held[i][0] / double(runs), i == 1 ? 0.6827 : 0.3935, 0.0196) << i;
        EXPECT_NEAR(held[i][1] / double(runs), 0.95, 0.0087) << i;
    }
    EXPECT_NEAR(chi, redundancy, 4 * std::sqrt(2.0 * redundancy / runs) * 1.2);
}

TEST(Adjust, TheNextMeasurementIsForeseenAsItComesOut) {
    const std::vector<Vec2> c{{0, 0}, {5000, 0}, {5000, 3600}, {0, 3600}};
    std::vector<Observation> seen;
    for (int i = 0; i < 4; ++i) {
        seen.push_back({Kind::distance, i, (i + 1) % 4, 0, i % 2 == 0 ? 5000.0 : 3600.0, 3});
        seen.push_back({Kind::angle, i, (i + 1) % 4, (i + 2) % 4, 1.5707963267948966, 0.013});
    }
    const auto before = adjust(c, seen);
    const Observation more{Kind::distance, 0, 2, 0, std::hypot(5000, 3600), 4};
    const double foreseen = worstWith(more, before);
    seen.push_back(more);
    const auto after = adjust(c, seen);
    double worst = 0;
    for (const auto& e : after.ellipses)
        worst = std::max(worst, e.major);
    EXPECT_NEAR(foreseen, worst, 1e-6);
}

TEST(Adjust, ChiSquaredTailsAreTheTables) { // any table of the distribution
    EXPECT_NEAR(chiSquareTail(3.841, 1), 0.05, 1e-4);
    EXPECT_NEAR(chiSquareTail(5.991, 2), 0.05, 1e-4);
    EXPECT_NEAR(chiSquareTail(11.345, 3), 0.01, 1e-5);
    EXPECT_NEAR(chiSquareTail(18.307, 10), 0.05, 1e-4);
    EXPECT_NEAR(chiSquareTail(0, 5), 1, 1e-12);
}
