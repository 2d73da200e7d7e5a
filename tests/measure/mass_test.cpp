#include "measure/mass.h"

#include <gtest/gtest.h>

using namespace mezzet;

namespace {

std::optional<Mass> read(std::string_view s, Units bare = Units::feetAndInches) {
    std::size_t used = 0;
    return scanMass(s, bare, used);
}

} // namespace

TEST(Mass, APoundIsExactlyItsKilograms) { // international yard and pound agreement, 1959
    EXPECT_EQ(Mass::pounds(1).kg(), 0.45359237);
    EXPECT_NEAR(Mass::kilograms(10).lb(), 22.046226218, 1e-8);
    EXPECT_NEAR(Mass::kilograms(1).newtons(), 9.80665, 1e-12); // CGPM 1901
}

TEST(Mass, IsReadWithItsUnitOrTheJobs) {
    EXPECT_NEAR(read("24 lb")->lb(), 24, 1e-9);
    EXPECT_NEAR(read("24lbs")->lb(), 24, 1e-9);
    EXPECT_NEAR(read("2.5 pounds")->lb(), 2.5, 1e-9);
    EXPECT_NEAR(read(" 11 kg")->kg(), 11, 1e-9);
    EXPECT_NEAR(read("7")->lb(), 7, 1e-9);
    EXPECT_NEAR(read("7", Units::millimetres)->kg(), 7, 1e-9);
    EXPECT_FALSE(read("heavy"));
    EXPECT_FALSE(read(""));
}

TEST(Mass, TakesItsOwnWordsAndNoMore) {
    std::size_t used = 0;
    EXPECT_TRUE(scanMass("12 lb, on a wire", Units::inches, used));
    EXPECT_EQ(used, 5U);
    EXPECT_TRUE(scanMass("12 apart", Units::inches, used));
    EXPECT_EQ(used, 2U) << "another word is not its unit";
}

TEST(Mass, IsWrittenToATenthUnderTen) {
    EXPECT_EQ(write(Mass::pounds(24), {}), "24 lb");
    EXPECT_EQ(write(Mass::pounds(2.26), {}), "2.3 lb");
    EXPECT_EQ(write(Mass::pounds(3), {}), "3 lb");
    EXPECT_EQ(write(Mass::kilograms(11.4), {Units::centimetres, 8}), "11 kg");
}
