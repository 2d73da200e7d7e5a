// Wires, rounding that adds up, and shelves that bend.
#include "hang/running.h"
#include "hang/sag.h"
#include "hang/wire.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

using namespace mezzet;
using namespace mezzet::literals;

namespace {

/// The rise at which a wire over one or two hooks has its length, found by halving.
double riseByHalving(double spacing, double level, double wire) {
    double low = 0;
    double high = wire;
    for (int i = 0; i < 200; ++i) {
        const double rise = (low + high) / 2;
        const double length = level + 2 * std::hypot((spacing - level) / 2, rise);
        (length < wire ? low : high) = rise;
    }
    return low;
}

} // namespace

TEST(Wire, AThreeFourFiveWireRisesThree) {
    // Rings 8 apart, wire 10: legs of 5 over 4 rise 3 (hand-worked).
    const auto d = wireDrop({8_in, 7_in, 10_in, 1, {}, Mass::kilograms(5)});
    EXPECT_NEAR(d.rise.inInches(), 3, 1e-9);
    EXPECT_NEAR(d.drop.inInches(), 4, 1e-9);
    // Each leg carries half the weight at a slope of 3 in 5.
    EXPECT_NEAR(d.tension, Mass::kilograms(5).newtons() / 2 / 0.6, 1e-9);
    EXPECT_FALSE(d.overTop);
}

TEST(Wire, TwoHooksTakeTheirPartOfItLevel) {
    // 20 apart, hooks 12 apart: 4 across to each; a leg of 5 rises 3, and 12 + 2 × 5 is 22.
    const auto d = wireDrop({20_in, 6_in, 22_in, 2, 12_in, Mass::pounds(10)});
    EXPECT_NEAR(d.rise.inInches(), 3, 1e-9);
    EXPECT_NEAR(d.drop.inInches(), 3, 1e-9);
}

TEST(Wire, TheDropAgreesWithTheGeometrySolvedByHalving) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> share(0, 1);
    for (int i = 0; i < 2000; ++i) {
        const double spacing = 50 + 1500 * share(random);
        const double slack = 1 + 200 * share(random);
        const bool two = share(random) < 0.5;
        const double level = two ? spacing * 0.9 * share(random) : 0;
        const auto d = wireDrop({Length::millimetres(spacing),
                                 500_mm,
                                 Length::millimetres(spacing + slack),
                                 two ? 2 : 1,
                                 Length::millimetres(level),
                                 {}});
        EXPECT_NEAR(d.rise.mm(), riseByHalving(spacing, level, spacing + slack), 1e-6);
    }
}

TEST(Wire, ATautWireDoesNotRiseAndASlackOneShowsItsHook) {
    EXPECT_EQ(wireDrop({20_in, 5_in, 20_in, 1, {}, Mass::pounds(8)}).rise, Length{});
    EXPECT_TRUE(std::isinf(wireDrop({20_in, 5_in, 20_in, 1, {}, Mass::pounds(8)}).tension));
    EXPECT_TRUE(wireDrop({20_in, 5_in, 40_in, 1, {}, {}}).overTop);
}

TEST(Wire, TheWireForADropGivesThatDrop) {
    WireHang w{18_in, 6_in, {}, 2, 6_in, {}};
    w.wire = wireFor(w, 2.5_in);
    EXPECT_NEAR(wireDrop(w).drop.inInches(), 2.5, 1e-9);
}

TEST(Running, StepsAddUpToTheLastPlaceAndNoneIsOutByMoreThanHalfADivision) {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> gap(5, 700);
    for (int round = 0; round < 500; ++round) {
        std::vector<Length> places;
        double at = 0;
        for (int i = 0; i < 12; ++i)
            places.push_back(Length::millimetres(at += gap(random)));
        const auto r = running(places, Length::inches(1.0 / 16));
        Length sum;
        for (std::size_t i = 0; i < places.size(); ++i) {
            sum += r.step[i];
            EXPECT_NEAR(sum.mm(), r.at[i].mm(), 1e-9);
            EXPECT_LE(std::abs((r.at[i] - places[i]).inInches()), 1.0 / 32 + 1e-9);
        }
    }
}

TEST(Running, ThirdsThatWouldEachRoundDownStillAddUp) {
    // Three of 10 1/48: each alone rounds to 10, and together they are 30 1/16.
    const Length third = Length::inches(10 + 1.0 / 48);
    const auto r = running({third, third * 2, third * 3}, Length::inches(1.0 / 16));
    EXPECT_NEAR((r.step[0] + r.step[1] + r.step[2]).inInches(), 30 + 1.0 / 16, 1e-9);
}

namespace {

ShelfBeam oak() {
    ShelfBeam b;
    b.length = 900_mm;
    b.depth = 250_mm;
    b.thickness = 19_mm;
    b.modulus = 12.3;
    b.props = {0_mm, 900_mm};
    b.load = 300;
    return b;
}
double stiffness(const ShelfBeam& b) {
    return b.modulus * 1e9 * b.depth.mm() / 1000 * std::pow(b.thickness.mm() / 1000, 3) / 12;
}

} // namespace

// Beam formulas of any handbook of structures; red oak's 12.3 GPa is the Wood Handbook's (FPL).
TEST(Sag, AnEvenLoadOnTwoEndsBendsBy5wL4Over384EI) {
    const auto b = oak();
    const auto s = sagOf(b);
    EXPECT_NEAR(s.deflection.mm(), 5 * 300 * std::pow(0.9, 4) / (384 * stiffness(b)) * 1000, 1e-4);
    EXPECT_NEAR(s.at.mm(), 450, 8);
    EXPECT_NEAR(s.reactions[0], 135, 1e-6);
}

TEST(Sag, APointLoadInTheMiddleBendsByPL3Over48EI) {
    auto b = oak();
    b.load = 0;
    b.loads = {{450_mm, Mass::kilograms(20)}};
    EXPECT_NEAR(sagOf(b).deflection.mm(),
                Mass::kilograms(20).newtons() * std::pow(0.9, 3) / (48 * stiffness(b)) * 1000,
                1e-4);
}

TEST(Sag, HousedEndsHoldItFiveTimesStiffer) {
    auto b = oak();
    const double free = sagOf(b).deflection.mm();
    b.clamped = true;
    EXPECT_NEAR(sagOf(b).deflection.mm() * 5, free, 1e-3);
}

TEST(Sag, APropInTheMiddleTakesFiveEighthsOfTheLoad) {
    // Two equal spans: the middle prop carries 10/8 of one span's load (handbook).
    auto b = oak();
    b.props = {0_mm, 450_mm, 900_mm};
    const auto s = sagOf(b);
    EXPECT_NEAR(s.reactions[1], 300 * 0.9 * 5 / 8, 1e-6);
    EXPECT_NEAR(s.span.mm(), 450, 1e-6);
}

TEST(Sag, AnOverhangDropsByWL4Over8EIWhenItsRootIsHeld) {
    // A shelf on two brackets close together, with far ends: the ends drop most.
    auto b = oak();
    b.props = {400_mm, 500_mm};
    const auto s = sagOf(b);
    EXPECT_TRUE(s.at < 1_mm || s.at > 899_mm);
    EXPECT_NEAR(s.span.mm(), 800, 1e-6);
    EXPECT_GT(s.deflection.mm(), 300 * std::pow(0.4, 4) / (8 * stiffness(b)) * 1000 - 1e-6);
}

TEST(Sag, TheSpanThatHoldsSagsByJustItsShare) {
    auto b = oak();
    const auto span = spanThatHolds(b, 1.0 / 360);
    b.length = span;
    b.props = {0_mm, span};
    EXPECT_NEAR(sagOf(b).ratio * 360, 1, 1e-5);
}

TEST(Sag, NothingToBendGivesNothing) {
    EXPECT_EQ(sagOf({}).deflection, Length{});
    auto b = oak();
    b.props = {0_mm};
    EXPECT_EQ(sagOf(b).deflection, Length{});
}

TEST(Wire, AHairOverTheTopIsToldAlready) {
    // Legs of 5 over 4 rise 3; rings 2.9 down leave the hook a tenth over the top.
    const auto d = wireDrop({8_in, Length::inches(2.9), 10_in, 1, {}, Mass::kilograms(5)});
    EXPECT_NEAR(d.drop.inInches(), -0.1, 1e-9);
    EXPECT_TRUE(d.overTop);
    EXPECT_FALSE(wireDrop({8_in, Length::inches(3.1), 10_in, 1, {}, {}}).overTop);
}
