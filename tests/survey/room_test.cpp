#include "room/room.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

using namespace mezzet;

namespace {

RoomPtr room(const char* notes) {
    auto r = roomFromNotes(notes);
    if (!r)
        throw std::runtime_error(r.problem().text());
    return *r;
}

const char* square = "wall A 10'\nwall B 10'\nwall C 10'\nwall D 10'";

} // namespace

TEST(Room, WallsRunClockwiseWithTheFloorToTheirRight) {
    const auto r = room(square);
    const Vec2 inward[] = {{0, 1}, {-1, 0}, {0, -1}, {1, 0}};
    for (std::size_t i = 0; i < 4; ++i) {
        EXPECT_NEAR(norm(r->walls[i].inward() - inward[i]), 0, 1e-9);
        EXPECT_EQ(r->walls[i].name, wallName(static_cast<int>(i)));
        EXPECT_NEAR(norm(r->walls[i].end - r->walls[(i + 1) % 4].start), 0, 1e-9);
    }
    EXPECT_NEAR(r->perimeter().inInches(), 480, 1e-9);
    EXPECT_NEAR(r->floorArea(), 100 * 304.8 * 304.8, 1e-3);
}

TEST(Room, OpeningsAreCountedThroughTheRoomByKind) {
    const auto r =
        room("wall A 10'\n window 1' from left, 2' wide\n window 5' from left, 2' wide\n"
             "wall B 10'\n door 1' from left, 30 wide\n"
             "wall C 10'\n window 4' from left, 2' wide\n opening 1' from left, 2' wide\n"
             "wall D 10'\n door 1' from left, 30 wide\n");
    std::vector<std::string> names;
    for (const auto& o : r->openings)
        names.push_back(o.name());
    EXPECT_EQ(names, (std::vector<std::string>{"window 1", "window 2", "door 1", "window 3",
                                               "opening 1", "door 2"}));
}

TEST(Room, WhatIsTapedFromTheRightLiesFromTheRight) {
    const auto r = room("wall A 10'\n window 1' from right, 3' wide\nwall B 10'\nwall C 10'\n"
                        "wall D 10'\n chimney 2' from right, 4' wide, 14 deep\n");
    EXPECT_NEAR(r->openings[0].left.inInches(), 72, 1e-9);
    EXPECT_NEAR(r->fixtures[0].left.inInches(), 48, 1e-9);
    EXPECT_NEAR(middleOf(*r, r->openings[0]).x / 25.4, 90, 1e-9);
}

TEST(Room, HeightsThatAreNotTapedAreTheUsualOnes) {
    const auto r = room("wall A 10'\n window 1' from left, 3' wide\n door 5' from left, 30 wide\n"
                        "wall B 10'\nwall C 10'\nwall D 10'");
    EXPECT_NEAR(r->ceiling.inInches(), 96, 1e-9);
    EXPECT_NEAR(r->openings[1].height.inInches(), 80, 1e-9);
    EXPECT_NEAR((r->openings[0].sill + r->openings[0].height).inInches(), 80, 1e-9)
        << "a window's head lines up with the doors'";
    EXPECT_FALSE(r->openings[1].undercut) << "what is not taped is not known";
}

TEST(Room, AHeadGivesTheHeight) {
    const auto r = room("wall A 10'\n window 1' from left, 3' wide, sill 30, head 7'\nwall B 10'\n"
                        "wall C 10'\nwall D 10'");
    EXPECT_NEAR(r->openings[0].height.inInches(), 54, 1e-9);
}

TEST(Room, AChimneyBreastIsNoFloor) {
    const auto r = room("wall A 10'\n chimney 3' from left, 4' wide, 1' deep\nwall B 10'\n"
                        "wall C 10'\nwall D 10'");
    EXPECT_NEAR(r->floorArea(), 96 * 304.8 * 304.8, 1e-3);
    EXPECT_FALSE(r->holds({60 * 25.4, 6 * 25.4}));
    EXPECT_TRUE(r->holds({60 * 25.4, 13 * 25.4}));
    EXPECT_FALSE(r->holds({-10, 100}));
    const auto s = solid(*r, r->fixtures[0]);
    EXPECT_NEAR(extent(s, {0, 1}) / 25.4, 12, 1e-9);
}

TEST(Room, ItsMiddleIsInsideEvenWhenItIsBent) {
    for (const char* notes :
         {square, "wall A 10'\nwall B 6'\nwall C 4'\ncorner out\nwall D 4'\nwall E 6'\nwall F 10'",
          // A U: its centroid lies in the court.
          "wall A 30'\nwall B 20'\nwall C 5'\nwall D 15'\ncorner out\nwall E 20'\ncorner out\n"
          "wall F 15'\nwall G 5'\nwall H 20'"}) {
        const auto r = room(notes);
        if (r->closed)
            EXPECT_TRUE(r->holds(r->middle())) << notes;
    }
}

TEST(Room, NotesInMillimetresMeanMillimetres) {
    const auto r = room("units mm\nceiling 2490\nwall A 4000\n window 500 from left, 1200 wide, "
                        "1200 high, sill 900\nwall B 3000\nwall C 4000\nwall D 3000\n"
                        "diagonal A to C 5m");
    EXPECT_NEAR(r->walls[0].length().mm(), 4000, 1e-9);
    EXPECT_NEAR(r->ceiling.mm(), 2490, 1e-9);
    EXPECT_TRUE(r->diagonals.at(0).agrees);
}

TEST(Room, MeasuredAnglesShareWhatIsLeftOfAFullTurn) {
    // Five corners make 540; two measured ones say 270.8 where 270 is right.
    const auto r =
        room("wall A 15' 0\"\ncorner 135.5\nwall B 4' 11 3/8\"\ncorner 135.3\n"
             "wall C 11' 0 1/8\"\nwall D 18' 6 1/4\"\nwall E 14' 6\"\ntolerance 1 in 100");
    EXPECT_TRUE(r->closed) << r->closure.words;
    EXPECT_NEAR(r->closure.angular.inDegrees(), 0.8, 1e-9);
}

TEST(Room, CornersThatMakeNoFullTurnLeaveItOpen) {
    const auto r = room("wall A 10'\nwall B 10'\nwall C 10'\ncorner out\nwall D 10'");
    EXPECT_FALSE(r->closed);
    EXPECT_NE(r->closure.words.find("full turn"), std::string::npos) << r->closure.words;
    EXPECT_EQ(r->floorArea(), 0);
    EXPECT_EQ(r->corners().size(), 5U) << "its far end too";
}

TEST(Room, AHalfTypedRoomIsShownAsFarAsItGoes) {
    EXPECT_TRUE(room("room Empty")->walls.empty());
    const auto one = room("wall A 10'");
    EXPECT_FALSE(one->closed);
    EXPECT_EQ(one->closure.words, "Not all walls are taped yet.");
}

TEST(Room, TheHingeSideAndTheSwingAreAsYouFaceTheDoor) {
    for (const bool right : {false, true}) {
        const auto r = room(fmt::format("wall A 10'\n door 3' from left, 30 wide, hinge {}\n"
                                        "wall B 10'\nwall C 10'\nwall D 10'",
                                        right ? "right" : "left")
                                .c_str());
        const auto s = doorSwing(*r, r->openings[0]);
        ASSERT_TRUE(s);
        const double hinge = right ? 66 : 36;
        EXPECT_TRUE(contains(*s, {(hinge + (right ? -1 : 1)) * 25.4, 29 * 25.4}))
            << "open, the leaf stands square at the hinge";
        EXPECT_NEAR(extent(*s, {0, 1}) / 25.4, 30, 1e-9);
    }
}

TEST(WallNames, GoOnPastZ) {
    EXPECT_EQ(wallName(0), "A");
    EXPECT_EQ(wallName(25), "Z");
    EXPECT_EQ(wallName(26), "AA");
    for (int i = 0; i < 200; ++i)
        EXPECT_EQ(wallIndex(wallName(i)), i);
    EXPECT_FALSE(wallIndex("7"));
    EXPECT_FALSE(wallIndex(""));
    EXPECT_FALSE(wallIndex("ABC"));
}

TEST(Room, TwoHundredWallsAreRoomEnough) {
    std::string notes;
    for (int i = 0; i < 201; ++i)
        notes += fmt::format("wall {} 1'\n", wallName(i));
    const auto r = roomFromNotes(notes);
    ASSERT_FALSE(r);
    EXPECT_EQ(r.problem().line, 201);
}
