#include "room/house.h"

#include <gtest/gtest.h>

using namespace mezzet;

namespace {

constexpr double ft = 304.8;
const char* two =
    "room Parlour\nwall A 12'\nwall B 10'\n door 3' from left, 30 wide, to Hall\nwall "
    "C 12'\nwall D 10'\nroom Hall\nwall A 4'\nwall B 20'\nwall C 4'\nwall D 20'\n door "
    "12' from left, 30 wide, leads to Parlour\n";

std::vector<RoomPtr> rooms(const std::string& notes) {
    auto r = roomsFromNotes(notes);
    if (!r)
        throw std::runtime_error(r.problem().text());
    return *r;
}

} // namespace

TEST(House, RoomsAreLaidFaceToFaceAtTheirDoors) {
    const auto r = rooms(two);
    ASSERT_EQ(r.size(), 2U);
    const auto h = joinRooms(r);
    ASSERT_EQ(h.joints.size(), 2U);
    EXPECT_TRUE(h.notices.empty()) << h.notices.front();
    ASSERT_TRUE(h.places[1]);
    EXPECT_NEAR(h.joints[0].off.mm(), 0, 1e-6);
    // Wall B of the parlour lies at x = 12'; the hall's wall D half a foot beyond it.
    const Vec2 door = h.into(0, 1, middleOf(*r[1], r[1]->openings[0]));
    EXPECT_NEAR(door.x, 12.5 * ft, 1e-6);
    EXPECT_NEAR(door.y, (3 + 15 / 12.0) * ft, 1e-6);
    // Back again.
    const Vec2 p{1234, 567};
    EXPECT_NEAR(norm(h.into(1, 0, h.into(0, 1, p)) - p), 0, 1e-6);
    EXPECT_FALSE(r[0]->holds(h.into(0, 1, r[1]->middle()))) << "the hall is not in the parlour";
}

TEST(House, WhatDoesNotMeetIsSaid) {
    const auto wide =
        joinRooms(rooms(std::string(two).replace(std::string(two).rfind("30 wide"), 7, "36 wide")));
    ASSERT_EQ(wide.notices.size(), 1U);
    EXPECT_NE(wide.notices[0].find("on the other side"), std::string::npos);
    const auto lost = joinRooms(rooms("wall A 3'\n door 3 from left, 30 wide, to Attic\nwall B "
                                      "3'\nwall C 3'\nwall D 3'\nroom Cellar\nwall A 4'"));
    ASSERT_EQ(lost.notices.size(), 2U);
    EXPECT_NE(lost.notices[0].find("Attic"), std::string::npos);
    EXPECT_NE(lost.notices[1].find("joined to no other room"), std::string::npos);
    EXPECT_FALSE(lost.places[1]);
}

TEST(House, WhatIsNoRoomToTapeIsNotMissed) {
    std::string notes = two;
    notes.replace(notes.find("wall C 12'"), 10,
                  "wall C 12'\n front door 2' from left, 36 wide\n "
                  "closet doors 7' from left, 4' wide");
    const auto h = joinRooms(rooms(notes));
    EXPECT_TRUE(h.notices.empty()) << h.notices.front();
}

TEST(House, ALoopThatGapesIsSaid) {
    // Two doors between the same rooms, a foot apart more on one side than on the other.
    const auto h = joinRooms(rooms(
        "room One\nwall A 20'\nwall B 10'\nwall C 20'\n door 2' from left, 30 wide, to Two\n door "
        "12' from left, 30 wide, to Two\nwall D 10'\nroom Two\nwall A 20'\n door 15' 6\" from "
        "left, "
        "30 wide, to One\n door 4' 6\" from left, 30 wide, to One\nwall B 8'\nwall C 20'\nwall D "
        "8'"));
    ASSERT_EQ(h.joints.size(), 4U);
    EXPECT_NEAR(h.joints[1].off.mm(), ft, 1e-6);
    ASSERT_EQ(h.notices.size(), 1U);
    EXPECT_NE(h.notices[0].find("don't meet at door 2"), std::string::npos) << h.notices[0];
}
