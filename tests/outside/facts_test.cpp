// Facts from outside the project, each with its source.
#include "geometry/polygon.h"
#include "jobs.h"
#include "measure/text.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

TEST(Facts, TheFootAndTheInch) { // International yard and pound agreement, 1959
    EXPECT_DOUBLE_EQ(Length::feet(3).mm(), 914.4);
    EXPECT_DOUBLE_EQ(readLength("1 m", Units::inches)->inInches(), 1000 / 25.4);
}

TEST(Facts, AThreeFourFiveSetOfRunsIsSquare) { // any builder's handbook
    const auto r = roomFromNotes("wall A 6'\nwall B 8'\nwall C 6'\nwall D 8'\ndiagonal A to C 10'\n"
                                 "diagonal B to D 10'");
    EXPECT_TRUE((*r)->diagonals[0].agrees);
    EXPECT_NEAR(abs((*r)->diagonals[0].computed - Length::feet(10)).mm(), 0, 1e-9);
    EXPECT_NEAR(abs((*r)->diagonals[1].computed - (*r)->diagonals[0].computed).mm(), 0, 1e-9)
        << "a rectangle's diagonals are equal";
}

TEST(Facts, TheCompassRuleSpreadsInProportionToTheRun) {
    // Bowditch's rule, as any surveying textbook has it: the correction of a corner is the
    // misclosure times the length run so far over the perimeter. Checked on a traverse with a
    // misclosure in both directions, before the turn that brings wall A back to x.
    const auto notes =
        *readTapeNotes("wall A 20' 0\"\nwall B 15' 1\"\nwall C 20' 1\"\nwall D 15' 0\"");
    const auto t = traverse(notes.front());
    ASSERT_TRUE(t.closure.closed);
    const double runs[] = {240, 181, 241, 180};
    const Vec2 ways[] = {{1, 0}, {0, 1}, {-1, 0}, {0, -1}};
    Vec2 raw{0, 0};
    double run = 0;
    std::vector<Vec2> expected;
    for (int i = 0; i < 4; ++i) {
        expected.push_back(raw - t.closure.step / 25.4 * (run / 842));
        raw = raw + ways[i] * runs[i];
        run += runs[i];
    }
    EXPECT_NEAR(norm(t.closure.step / 25.4 - raw), 0, 1e-9);
    EXPECT_NEAR(t.closure.misclosure.inInches(), std::sqrt(2.0), 1e-9);
    // The adjusted figure is the expected one turned back: side lengths are the same.
    for (int i = 0; i < 4; ++i) {
        const double want = norm(expected[static_cast<std::size_t>((i + 1) % 4)] -
                                 expected[static_cast<std::size_t>(i)]);
        const double got = norm(t.balanced[static_cast<std::size_t>((i + 1) % 4)] -
                                t.balanced[static_cast<std::size_t>(i)]) /
                           25.4;
        EXPECT_NEAR(got, want, 1e-9);
    }
    EXPECT_EQ(t.balanced[1].y, 0) << "x runs along wall A";
}

TEST(Facts, ARoomsAreaByTheSurveyorsFormula) { // shoelace formula, any surveying textbook
    const auto r =
        roomFromNotes("wall A 15' 0\"\ncorner 135\nwall B 4' 11 3/8\"\ncorner 135\nwall C "
                      "11' 0 1/8\"\nwall D 18' 6 1/4\"\nwall E 14' 6\"");
    // A rectangle of 18.5 by 14.5 feet less a right triangle with legs of 3.5.
    const double feet = (*r)->floorArea() / (304.8 * 304.8);
    EXPECT_NEAR(feet, 18.5 * 14.5 - 3.5 * 3.5 / 2, 0.4);
}

TEST(Facts, TwelveToEighteenBetweenKneesAndCup) { // common practice
    const auto& rule = *library().book->byId("seat-to-table");
    EXPECT_NEAR(*rule.bands.at("low-and-close").low, 12 * 25.4, 1e-9);
    EXPECT_NEAR(*rule.bands.at("low-and-close").high, 18 * 25.4, 1e-9);
    EXPECT_NEAR(*rule.bands.at("viewer-and-air").low, 15 * 25.4, 1e-9);
}

TEST(Facts, ChairsDrawOutIntoThirtySixAndSitDownInThirtyTwo) {
    // 36: common practice. 32 and 24: planning handbooks, from memory.
    EXPECT_NEAR(*library().book->byId("dining-to-wall")->bands.at("").low, 36 * 25.4, 1e-9);
    EXPECT_NEAR(*library().book->byId("chair-pull-out")->bands.at("").low, 32 * 25.4, 1e-9);
    EXPECT_NEAR(library().book->byId("chair-pull-out")->setting("draw").inInches(), 24, 1e-9);
}

TEST(Facts, UsualPiecesHaveUsualHeights) { // common practice; furniture sizes from memory
    const auto& kit = *library().kit;
    for (const auto& k : kit.kinds()) {
        if (k->role == Role::diningTable && k->id != "counter-table")
            EXPECT_NEAR(k->size.height.inInches(), 30, 1.5) << k->id;
        if (k->role == Role::diningChair)
            EXPECT_NEAR(k->heights.seat->inInches(), 18, 1) << k->id;
        if (k->role == Role::sofa)
            EXPECT_NEAR(k->heights.seat->inInches(), 17.5, 1.5) << k->id;
        if (k->role == Role::lowTable)
            EXPECT_LE(k->size.height.inInches(), 20) << k->id;
        if (k->role == Role::diningTable || k->role == Role::desk)
            EXPECT_GE(k->clearBelow.inInches(), 24) << k->id << ": knees go under it";
    }
}

TEST(Facts, TallStorageSaysThatItCanTip) { // common practice: anchor tall units
    for (const auto& k : library().kit->kinds())
        if (k->family == Family::storage && k->size.height > Length::inches(50) &&
            k->footprint.form == FootprintForm::rectangle)
            EXPECT_FALSE(k->caution.empty()) << k->id;
}

TEST(Facts, ALargestCircleInARectangleTouchesItsLongSides) {
    // Radius b/2 in an a by b rectangle, a > b: a round of that size just stands inside.
    const auto fits = [](double diameter) {
        const auto job = jobWith({fmt::format("round table {}in at 10', 7' 6\"", diameter)});
        return find(readingsOf(job), job, "inside", "Round table") == nullptr;
    };
    EXPECT_TRUE(fits(180));
    EXPECT_FALSE(fits(180.1));
}

TEST(Facts, PointsInsideAgreeWithTheWindingOfTheRoom) {
    // A known L: 84 square feet.
    const auto r = roomFromNotes(
        "wall A 10'\nwall B 6'\nwall C 4'\ncorner out\nwall D 4'\nwall E 6'\nwall F 10'");
    int inside = 0;
    for (int i = 0; i < 100; ++i)
        for (int k = 0; k < 100; ++k)
            inside += (*r)->holds({(i + 0.5) * 30.48, (k + 0.5) * 30.48}) ? 1 : 0;
    EXPECT_EQ(inside, 8400);
}
