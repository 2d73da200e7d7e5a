#include "jobs.h"
#include "judge/unmeasured.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// What is still to be measured, as its sentences in one.
std::string missing(const std::vector<std::string>& lines, const char* notes) {
    const auto job = jobWith(lines, notes);
    std::string out;
    for (const auto& u : stillToMeasure(**sceneOf(job)))
        out += u.what + "\n";
    return out;
}

constexpr const char* bare = "wall A 20'\n window 4' from left, 5' wide\nwall B 15'\nwall C 20'\n "
                             "door 2' from left, 32 wide, hinge right, swings in\nwall D 15'";

} // namespace

TEST(Unmeasured, OnlyWhatTheWorkPlannedNeeds) {
    const auto empty = missing({}, bare);
    EXPECT_NE(empty.find("no ceiling height"), std::string::npos) << empty;
    EXPECT_NE(empty.find("no diagonal"), std::string::npos) << empty;
    EXPECT_EQ(empty.find("undercut"), std::string::npos) << "no rug lies there";
    EXPECT_EQ(empty.find("studs"), std::string::npos);
}

TEST(Unmeasured, AWindowThatFurnitureStandsUnder) {
    const auto all = missing({"sideboard against wall A, centred on window 1"}, bare);
    EXPECT_NE(all.find("no sill for window 1: Sideboard stands under it"), std::string::npos)
        << all;
}

TEST(Unmeasured, AnUndercutWhereARugWillLie) {
    const auto all = missing({"rug 60 x 96 at 16', 13'"}, bare);
    EXPECT_NE(all.find("no undercut for door 1"), std::string::npos) << all;
}

TEST(Unmeasured, StudsBehindWhatMustBeAnchored) {
    const auto tall = missing({"bookcase 36 x 12 x 84 against wall B, centred on wall B"}, bare);
    EXPECT_NE(tall.find("no studs on wall B"), std::string::npos) << tall;
    const auto low = missing({"bookcase 36 x 12 x 30 against wall B, centred on wall B"}, bare);
    EXPECT_EQ(low.find("no studs"), std::string::npos) << low;
}

TEST(Unmeasured, NothingIsAskedWhenAllIsTaped) {
    const auto all = missing(
        {"sideboard against wall A, centred on window 1"},
        "ceiling 8'\nwall A 20'\n window 4' from left, 5' wide, 4' high, sill 32, opens out\nwall "
        "B "
        "15'\nwall C 20'\n door 2' from left, 32 wide, undercut 1/2\nwall D 15'\ndiagonal A to C "
        "25'");
    EXPECT_EQ(all, "");
}
