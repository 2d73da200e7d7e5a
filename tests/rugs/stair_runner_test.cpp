// A runner up a stair, against lengths worked out by hand (tests/cases would hold more of them).
#include "rugs/stair_runner.h"

#include <gtest/gtest.h>

#include <numbers>

using namespace mezzet;

namespace {

StairRunner stair(int risers) {
    StairRunner s;
    s.riser = Length::inches(7.5);
    s.going = Length::inches(10);
    s.nosing = Length::inches(1);
    s.risers = risers;
    s.width = Length::inches(27);
    return s;
}

} // namespace

TEST(StairRunner, FallsOverEveryRiserAndGoing) { // 13 x 7 1/2 + 12 x 10 = 217 1/2
    const auto cut = measureRunner(stair(13));
    ASSERT_TRUE(cut);
    EXPECT_NEAR(cut->length.inInches(), 217.5, 1e-9);
    EXPECT_EQ(cut->pieces, 1);
    EXPECT_EQ(cut->nosings, 13);
}

TEST(StairRunner, CappedTakesTheNosingTwiceMoreAtEach) { // + 13 x 2 x 1 = 243 1/2
    auto s = stair(13);
    s.capped = true;
    EXPECT_NEAR(measureRunner(s)->length.inInches(), 243.5, 1e-9);
}

TEST(StairRunner, LandingsAddTheirLengthAndTurnsAPiece) {
    auto s = stair(14);
    s.landings = {Length::inches(36), Length::inches(40)};
    s.turns = 2;
    const auto cut = measureRunner(s);
    EXPECT_NEAR(cut->length.inInches(), 14 * 7.5 + 13 * 10 + 76, 1e-9);
    EXPECT_EQ(cut->pieces, 3);
}

TEST(StairRunner, ThePileOpensByItsThicknessTimesTheBend) { // the arc of an angle about a point
    auto s = stair(3);
    s.pile = Length::inches(0.5);
    EXPECT_NEAR(measureRunner(s)->opening.mm(), 12.7 * std::numbers::pi / 2, 1e-9);
    s.capped = true;
    EXPECT_NEAR(measureRunner(s)->opening.mm(), 12.7 * std::numbers::pi, 1e-9);
}

TEST(StairRunner, ANosingOfNothingFallsAndCantBeCapped) {
    auto s = stair(5);
    s.nosing = {};
    EXPECT_NEAR(measureRunner(s)->length.inInches(), 5 * 7.5 + 40, 1e-9);
    s.capped = true;
    EXPECT_FALSE(measureRunner(s));
}

TEST(StairRunner, RefusesWhatIsNoStair) {
    for (const auto& spoil : std::vector<void (*)(StairRunner&)>{
             [](StairRunner& s) { s.risers = 0; }, [](StairRunner& s) { s.risers = 1000; },
             [](StairRunner& s) { s.riser = {}; }, [](StairRunner& s) { s.going = {}; },
             [](StairRunner& s) { s.nosing = Length::inches(-1); },
             [](StairRunner& s) { s.width = {}; }, [](StairRunner& s) { s.turns = -1; },
             [](StairRunner& s) { s.landings = {Length::inches(-3)}; }}) {
        auto s = stair(13);
        spoil(s);
        EXPECT_FALSE(measureRunner(s));
    }
}

TEST(StairRunner, EndsALengthWhereTheStairTurns) {
    // 6 risers and goings of 7 1/2 and 10 to the turn; then a landing of 36 and the other 7 risers.
    StairRunner s = stair(13);
    s.breaks = {{6, Length::inches(36), true}};
    auto cut = measureRunner(s);
    ASSERT_TRUE(cut);
    EXPECT_EQ(cut->pieces, 2);
    ASSERT_EQ(cut->joins.size(), 1U);
    EXPECT_NEAR(cut->joins[0].inInches(), 6 * 17.5, 1e-9);
    EXPECT_NEAR(cut->length.inInches(), 217.5 + 36, 1e-9);
    // A landing one walks straight over, and winders above it; capped, each nosing takes 2 more.
    s.breaks = {{4, Length::inches(40), false}, {9, {}, true}};
    s.capped = true;
    cut = measureRunner(s);
    ASSERT_TRUE(cut);
    EXPECT_EQ(cut->pieces, 2);
    EXPECT_NEAR(cut->joins[0].inInches(), 9 * 19.5 + 40, 1e-9);
    EXPECT_NEAR(cut->length.inInches(), 243.5 + 40, 1e-9);
    for (const auto& breaks :
         std::vector<std::vector<StairBreak>>{{{0, {}, true}},
                                              {{13, {}, true}},
                                              {{6, Length::inches(-1), false}},
                                              {{6, {}, true}, {6, Length::inches(36), false}}}) {
        s.breaks = breaks;
        const auto bad = measureRunner(s);
        ASSERT_FALSE(bad);
        EXPECT_FALSE(bad.problem().remedy.empty());
    }
}
