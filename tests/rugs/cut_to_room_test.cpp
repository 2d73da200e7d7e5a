// A carpet cut to its room: corners and areas worked out by hand.
#include "geometry/polygon.h"
#include "rugs/cut_to_room.h"

#include <gtest/gtest.h>

#include <cmath>

using namespace mezzet;

namespace {

RoomPtr roomOf(const std::string& notes) {
    auto room = roomFromNotes(notes);
    if (!room)
        throw std::runtime_error(room.problem().text());
    return *room;
}

RoomCut evenly(const Room& room, double inches) {
    RoomCut cut;
    cut.offWall.assign(room.walls.size(), Length::inches(inches));
    cut.offFixture.assign(room.fixtures.size(), Length::inches(inches));
    cut.offHearth = cut.offFixture;
    return cut;
}

double squareInches(const std::vector<Vec2>& o) {
    return std::abs(signedArea(o)) / (25.4 * 25.4);
}

/// Whether one of an outline's corners is there, in inches.
bool hasCorner(const std::vector<Vec2>& o, double x, double y) {
    for (const Vec2 p : o)
        if (std::hypot(p.x / 25.4 - x, p.y / 25.4 - y) < 4e-4)
            return true;
    return false;
}

const char* plain = "room Plain\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\nwall D 15'\n";
/// 20 by 15 feet less the 8 by 6 of its far right corner.
const char* ellNotes = "room Ell\nceiling 8'\nwall A 20'\nwall B 9'\nwall C 8'\ncorner out\n"
                       "wall D 6'\nwall E 12'\nwall F 15'\n";

} // namespace

TEST(CutToRoom, KeepsItsBorderOffEveryWall) {
    const auto room = roomOf(plain);
    std::vector<std::string> told;
    const auto cut = cutToRoom(*room, evenly(*room, 10), told);
    ASSERT_TRUE(cut) << cut.problem().text();
    ASSERT_EQ(cut->size(), 4U);
    EXPECT_NEAR(squareInches(*cut), 220 * 160, 0.01);
    EXPECT_TRUE(hasCorner(*cut, 10, 10) && hasCorner(*cut, 230, 170));
    // It begins where wall A does.
    EXPECT_NEAR((*cut)[0].x, 254, 0.01);
    EXPECT_NEAR((*cut)[0].y, 254, 0.01);
}

TEST(CutToRoom, IsCutSharpAtAnOutsideCorner) {
    const auto room = roomOf(ellNotes);
    ASSERT_TRUE(room->closed);
    std::vector<std::string> told;
    const auto cut = cutToRoom(*room, evenly(*room, 10), told);
    ASSERT_TRUE(cut) << cut.problem().text();
    ASSERT_EQ(cut->size(), 6U);
    // 220 x 160, less what the corner and its border take: 96 + 10 by 72 + 10, off the far sides'.
    EXPECT_NEAR(squareInches(*cut), 220 * 160 - 96 * 72, 0.01);
}

TEST(CutToRoom, GoesByEachWallsOwnBorder) {
    const auto room = roomOf(plain);
    auto how = evenly(*room, 10);
    how.offWall[1] = Length::inches(0);
    how.offWall[2] = Length::inches(20);
    std::vector<std::string> told;
    const auto cut = cutToRoom(*room, how, told);
    ASSERT_TRUE(cut);
    EXPECT_NEAR(squareInches(*cut), 230 * 150, 0.01);
}

TEST(CutToRoom, GoesRoundAChimneyAndItsHearth) {
    const auto room = roomOf(
        "room H\nceiling 8'\nwall A 20'\n fireplace 90 from left, 60 wide, 15 deep, hearth 18\n"
        "wall B 15'\nwall C 20'\nwall D 15'\n");
    auto how = evenly(*room, 10);
    std::vector<std::string> told;
    const auto plainly = cutToRoom(*room, how, told);
    ASSERT_TRUE(plainly);
    ASSERT_EQ(room->fixtures.size(), 1U);
    const double depth = room->fixtures[0].depth.inInches() + 18;
    // The notch is as wide as the hearth and its border both sides, from the wall's own border.
    const double wide = std::max(60.0, room->fixtures[0].hearthWidth.inInches());
    EXPECT_NEAR(squareInches(*plainly), 220 * 160 - (wide + 20) * (depth + 10 - 10), 0.5);
    how.offHearth[0] = Length::inches(6);
    const auto nearer = cutToRoom(*room, how, told);
    ASSERT_TRUE(nearer);
    EXPECT_GT(squareInches(*nearer), squareInches(*plainly) + 100);
}

TEST(CutToRoom, RefusesABorderWiderThanTheRoom) {
    const auto room = roomOf(plain);
    std::vector<std::string> told;
    const auto cut = cutToRoom(*room, evenly(*room, 100), told);
    ASSERT_FALSE(cut);
    EXPECT_FALSE(cut.problem().what.empty());
}

TEST(CutToRoom, FollowsWallsThatAreOutOfSquare) {
    const auto room = roomOf("room Skew\nceiling 8'\nwall A 148\nwall B 120\nwall C 144\nwall D "
                             "120\ndiagonal A to C 189\ndiagonal B to D 189\n");
    ASSERT_TRUE(room->closed);
    std::vector<std::string> told;
    const auto cut = cutToRoom(*room, evenly(*room, 12), told);
    ASSERT_TRUE(cut);
    // Every corner is 12 in from its two walls' lines.
    for (const Vec2 p : *cut) {
        int near = 0;
        for (const Wall& w : room->walls)
            near += std::abs(dot(p - w.start, w.inward()) / 25.4 - 12) < 1e-3 ? 1 : 0;
        EXPECT_EQ(near, 2);
    }
}
