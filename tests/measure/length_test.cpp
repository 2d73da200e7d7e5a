#include "measure/mass.h"
#include "measure/notation.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <gtest/gtest.h>

#include <fstream>
#include <sstream>

using namespace mezzet;
using namespace mezzet::literals;

TEST(Length, AnInchIsExactly25Point4Millimetres) { // International yard and pound agreement, 1959
    EXPECT_DOUBLE_EQ(Length::inches(1).mm(), 25.4);
    EXPECT_DOUBLE_EQ(Length::feet(1).mm(), 304.8);
}

TEST(Length, EveryCaseOfTheTableReadsAsTold) {
    std::ifstream in(std::string(MEZZET_TEST_CASES) + "/lengths.txt");
    ASSERT_TRUE(in);
    std::string line;
    int cases = 0;
    while (std::getline(in, line)) {
        if (line.empty() || line[0] == '#')
            continue;
        const auto a = line.find('|');
        const auto b = line.find('|', a + 1);
        const auto text = std::string(trimmed(line.substr(0, a)));
        const auto units = readUnits(trimmed(line.substr(a + 1, b - a - 1)));
        const auto want = std::string(trimmed(line.substr(b + 1)));
        ASSERT_TRUE(units) << line;
        const auto got = readLength(text, *units);
        ++cases;
        if (want == "!")
            EXPECT_FALSE(got) << text << " read as " << (got ? got->mm() : 0);
        else if (got)
            EXPECT_NEAR(got->mm(), std::stod(want), 1e-9) << text;
        else
            ADD_FAILURE() << text << ": " << got.problem().text();
    }
    EXPECT_GT(cases, 30);
}

TEST(Length, IsWrittenAsPeopleWriteIt) {
    EXPECT_EQ(write(Length::inches(98.5), {Units::feetAndInches, 8}), "8' 2 1/2\"");
    EXPECT_EQ(write(Length::inches(96), {Units::feetAndInches, 8}), "8' 0\"");
    EXPECT_EQ(write(Length::inches(96.125), {Units::feetAndInches, 8}), "8' 0 1/8\"");
    EXPECT_EQ(write(Length::inches(0.5), {Units::feetAndInches, 8}), "1/2\"");
    EXPECT_EQ(write(Length::inches(98.5), {Units::inches, 8}), "98 1/2\"");
    EXPECT_EQ(write(Length::inches(-1.375), {Units::feetAndInches, 8}), "-1 3/8\"");
    EXPECT_EQ(write(2490_mm, {Units::millimetres, 8}), "2490 mm");
    EXPECT_EQ(write(2490_mm, {Units::centimetres, 8}), "249 cm");
    EXPECT_EQ(write(2490_mm, {Units::metres, 8}), "2.49 m");
}

TEST(Length, ReadingWhatWasWrittenShowsTheSame) {
    for (const auto units : {Units::feetAndInches, Units::inches, Units::millimetres,
                             Units::centimetres, Units::metres}) {
        for (const int d : {2, 4, 8, 16, 32}) {
            const Notation n{units, d};
            for (double mm = -5000; mm < 12000; mm += 7.3) {
                const auto shown = write(Length::millimetres(mm), n);
                const auto back = readLength(shown, Units::metres);
                ASSERT_TRUE(back) << shown;
                ASSERT_EQ(write(*back, n), shown);
            }
        }
    }
}

TEST(Length, TheLocalesDecimalCommaIsWrittenAndRead) {
    useDecimalMark(',');
    const Length odd = Length::millimetres(824.0);
    EXPECT_EQ(write(odd, {Units::centimetres, 8}), "82,4 cm");
    EXPECT_EQ(write(odd, {Units::metres, 8}), "0,824 m");
    EXPECT_EQ(write(Mass::kilograms(2.5), {Units::centimetres, 8}), "2,5 kg");
    std::size_t used = 0;
    EXPECT_NEAR(scanMass("2,5 kg", Units::metres, used)->kg(), 2.5, 1e-12);
    EXPECT_EQ(used, 6U);
    for (double mm = -5000; mm < 12000; mm += 7.3)
        for (const Units u : {Units::centimetres, Units::metres}) {
            const auto shown = write(Length::millimetres(mm), {u, 8});
            EXPECT_EQ(shown.find('.'), std::string::npos) << shown;
            const auto back = readLength(shown, u);
            ASSERT_TRUE(back) << shown;
            EXPECT_EQ(write(*back, {u, 8}), shown);
        }
    useDecimalMark('.');
    EXPECT_EQ(write(odd, {Units::centimetres, 8}), "82.4 cm");
}

TEST(Length, AFaultPointsAtItsCharacterNotItsByte) {
    const auto p = readLength("8′ 14″", Units::inches);
    ASSERT_FALSE(p);
    EXPECT_EQ(p.problem().column, 4);
    EXPECT_FALSE(p.problem().remedy.empty());
}

TEST(Length, TheWordInBeforeACornerIsNoUnit) {
    const auto s = scanLength("30 in corner AB", Units::millimetres);
    ASSERT_TRUE(s);
    EXPECT_DOUBLE_EQ(s->value.mm(), 30);
    EXPECT_FALSE(s->unitGiven);
}

TEST(Text, RefusesWhatIsNotUtf8) {
    EXPECT_TRUE(isText("8′ wide"));
    EXPECT_FALSE(isText("\xC3("));
    EXPECT_FALSE(isText(std::string_view("a\0b", 3)));
    EXPECT_FALSE(isText("\xE2\x82"));
    EXPECT_FALSE(isText("\xED\xA0\x80"));
}

TEST(Text, FindsTheNearestWord) {
    EXPECT_EQ(nearestWord("soffa", {"sofa", "stool"}).value_or(""), "sofa");
    EXPECT_FALSE(nearestWord("xylophone", {"sofa", "stool"}));
}
