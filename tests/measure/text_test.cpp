#include "files/whole_file.h"
#include "measure/angle.h"
#include "measure/notation.h"
#include "measure/text.h"
#include "measure/those.h"

#include <gtest/gtest.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <unistd.h>

using namespace mezzet;
using namespace mezzet::literals;
namespace fs = std::filesystem;

namespace {

/// A file in a folder of this test's own.
class Files : public testing::Test {
protected:
    void SetUp() override {
        folder = fs::temp_directory_path() / ("mezzet-text-" + std::to_string(::getpid()));
        fs::create_directories(folder);
    }
    void TearDown() override { fs::remove_all(folder); }
    fs::path write(const char* name, const std::string& text) const {
        std::ofstream(folder / name, std::ios::binary) << text;
        return folder / name;
    }

    fs::path folder;
};

} // namespace

TEST_F(Files, AreReadWhole) {
    EXPECT_EQ(*readTextFile(write("a", "8′ 2″\nnext"), 100), "8′ 2″\nnext");
    EXPECT_EQ(*readTextFile(write("empty", ""), 100), "");
}

TEST_F(Files, ABeginningMarkIsTakenOff) {
    EXPECT_EQ(*readTextFile(write("bom", "\xEF\xBB\xBFroom A"), 100), "room A");
}

TEST_F(Files, AreReadUpToTheirLimitAndNotPast) {
    EXPECT_TRUE(readTextFile(write("ten", "0123456789"), 10));
    const auto over = readTextFile(write("eleven", "01234567890"), 10);
    ASSERT_FALSE(over);
    EXPECT_EQ(over.problem().file, (folder / "eleven").string());
    EXPECT_FALSE(over.problem().remedy.empty());
}

TEST_F(Files, WhatIsNoTextIsRefused) {
    EXPECT_FALSE(readTextFile(write("zero", std::string("a\0b", 3)), 100));
    EXPECT_FALSE(readTextFile(write("latin", "caf\xE9"), 100));
    EXPECT_FALSE(readTextFile(folder / "not there", 100));
    EXPECT_FALSE(readTextFile(folder, 100)) << "a folder is no file";
    EXPECT_FALSE(readTextFile("/dev/zero", 100)) << "and neither is an endless device";
}

TEST(DataFolder, CanBeNamed) {
    const auto usual = dataFolder();
    EXPECT_TRUE(fs::exists(usual / "kit"));
    ::setenv("MEZZET_DATA", "/somewhere/else", 1);
    EXPECT_EQ(dataFolder(), fs::path("/somewhere/else"));
    ::unsetenv("MEZZET_DATA");
    EXPECT_EQ(dataFolder(), usual);
}

TEST(Words, AreListedAsPeopleListThem) {
    EXPECT_EQ(listed({}), "");
    EXPECT_EQ(listed({"a"}), "a");
    EXPECT_EQ(listed({"a", "b"}), "a and b");
    EXPECT_EQ(listed({"a", "b", "c"}), "a, b and c");
    EXPECT_EQ(listed({"a", "b", "c"}, "or"), "a, b or c");
    EXPECT_EQ(listed({"a", "b", "c"}, ""), "a, b, c");
}

TEST(Words, AreTrimmedFoldedAndCounted) {
    EXPECT_EQ(trimmed(" \t a b \r\n"), "a b");
    EXPECT_EQ(trimmed("   "), "");
    EXPECT_EQ(foldCase("Wing CHAIR é"), "wing chair é");
    EXPECT_EQ(characterCount("8′ 2½″"), 6U);
}

TEST(Words, DistanceCountsTheLettersThatChange) {
    EXPECT_EQ(editDistance("sofa", "sofa"), 0);
    EXPECT_EQ(editDistance("sofa", "soffa"), 1);
    EXPECT_EQ(editDistance("", "abc"), 3);
    EXPECT_EQ(editDistance("kitten", "sitting"), 3); // the usual worked example
}

TEST(Problems, SayTheirPlaceAsEditorsReadIt) {
    Problem p{"no length here", "write it like 8' 2\""};
    EXPECT_EQ(p.text(), "no length here; write it like 8' 2\"");
    p.line = 3;
    p.column = 7;
    EXPECT_EQ(p.text(), "3:7: no length here; write it like 8' 2\"");
    p.file = "room.tape";
    EXPECT_EQ(p.text(), "room.tape:3:7: no length here; write it like 8' 2\"");
    p.remedy.clear();
    EXPECT_EQ(p.sentence(), "no length here");
}

TEST(Angle, NormalisesToOneTurn) {
    EXPECT_NEAR(Angle::degrees(450).normalised().inDegrees(), 90, 1e-9);
    EXPECT_NEAR(Angle::degrees(-90).normalised().inDegrees(), 270, 1e-9);
    EXPECT_EQ(Angle::degrees(360).normalised().inDegrees(), 0);
    EXPECT_EQ(Angle::degrees(-1e-12).normalised().inDegrees(), 0) << "a hair is no turn";
}

TEST(Angle, DifferenceIsTheShortWayRound) {
    EXPECT_NEAR(difference(Angle::degrees(10), Angle::degrees(350)).inDegrees(), 20, 1e-9);
    EXPECT_NEAR(difference(Angle::degrees(350), Angle::degrees(10)).inDegrees(), -20, 1e-9);
    EXPECT_NEAR(std::abs(difference(Angle::degrees(180), Angle{}).inDegrees()), 180, 1e-9);
}

TEST(Notation, DivisionsAreWhatTheTapeShows) {
    EXPECT_NEAR(division({Units::feetAndInches, 16}).inInches(), 1.0 / 16, 1e-12);
    EXPECT_NEAR(division({Units::millimetres, 16}).mm(), 1, 1e-12);
    EXPECT_NEAR(rounded(Length::inches(3.06), {Units::inches, 8}).inInches(), 3, 1e-12);
    EXPECT_NEAR(rounded(Length::inches(3.07), {Units::inches, 8}).inInches(), 3.125, 1e-12);
    EXPECT_NEAR(rounded(-12.6_mm, {Units::centimetres, 8}).mm(), -13, 1e-12);
}

TEST(Notation, GapsAreCalledInInchesAndListsHaveNoMarks) {
    const Notation feet{Units::feetAndInches, 8};
    EXPECT_EQ(writeGap(Length::inches(29), feet), "29\"");
    EXPECT_EQ(writeBare(Length::inches(84), feet), "84");
    EXPECT_EQ(writeBare(Length::inches(0.5), feet), "1/2");
    EXPECT_EQ(writeBare(Length::inches(56.75), feet), "56 3/4");
    EXPECT_EQ(writeBare(2130_mm, {Units::centimetres, 8}), "213");
    EXPECT_EQ(writeBare(2130_mm, {Units::millimetres, 8}), "2130");
    EXPECT_EQ(writeBare(2130_mm, {Units::metres, 8}), "2.13");
}

TEST(Notation, ZeroAndRoundingToZeroHaveNoSign) {
    for (const auto u : {Units::feetAndInches, Units::inches}) {
        EXPECT_EQ(write(Length{}, {u, 8}), "0\"");
        EXPECT_EQ(write(Length::inches(-0.001), {u, 8}), "0\"");
    }
    EXPECT_EQ(write(-0.2_mm, {Units::millimetres, 8}), "0 mm");
}

TEST(Notation, RoundingCarriesOverTheFoot) {
    EXPECT_EQ(write(Length::inches(11.99), {Units::feetAndInches, 8}), "1' 0\"");
    EXPECT_EQ(write(Length::inches(95.97), {Units::feetAndInches, 16}), "8' 0\"");
    EXPECT_EQ(write(Length::inches(95.90), {Units::feetAndInches, 16}), "7' 11 7/8\"");
}

TEST(Notation, KnowsUnitsByTheirNames) {
    EXPECT_EQ(readUnits("Feet"), Units::feetAndInches);
    EXPECT_EQ(readUnits("metric"), Units::millimetres);
    EXPECT_FALSE(readUnits("furlongs"));
    for (const auto u : {Units::feetAndInches, Units::inches, Units::millimetres,
                         Units::centimetres, Units::metres})
        EXPECT_EQ(readUnits(unitsName(u)), u);
}

TEST(Notation, AScanStopsWhereTheLengthEnds) {
    const auto used = [](const char* text) {
        const auto s = scanLength(text, Units::inches);
        return s ? std::string(text).substr(0, s->used) : std::string("!");
    };
    EXPECT_EQ(used("16 from sofa"), "16");
    EXPECT_EQ(used("8' 2\", 4' 0\""), "8' 2\"");
    EXPECT_EQ(used("84 x 36"), "84");
    EXPECT_EQ(used("2 mmm"), "2");
    EXPECT_EQ(used("3 in front of sofa"), "3");
    EXPECT_EQ(used("3 in from sofa"), "3 in");
    EXPECT_EQ(used("  12 1/2 wide"), "  12 1/2");
}

TEST(Those, AreTheMembersATestHoldsOf) {
    const std::vector<int> all{3, 8, 1, 12, 9, 2};
    const int least = 5;
    const auto large = mezzet::Those(all, [least](int n) { return n > least; });
    EXPECT_EQ(std::vector<int>(large.begin(), large.end()), (std::vector<int>{8, 12, 9}));
    EXPECT_EQ(large.count(), 3);
    EXPECT_EQ(mezzet::Those(all, [](int n) { return n > 20; }).count(), 0);
    const std::vector<int> none;
    EXPECT_EQ(mezzet::Those(none, [](int) { return true; }).count(), 0);
}
