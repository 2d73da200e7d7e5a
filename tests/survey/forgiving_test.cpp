// Tape notes as they are scribbled: abbreviations, walls without letters, sizes in one.
#include "survey/tape_notes.h"

#include <gtest/gtest.h>

using namespace mezzet;

namespace {

TapeNotes read(const char* text) {
    auto notes = readTapeNotes(text, "notes");
    EXPECT_TRUE(notes) << text << ": " << notes.problem().text();
    return notes ? notes->front() : TapeNotes{};
}

} // namespace

TEST(ForgivingNotes, AbbreviationsAreWrittenOut) {
    const auto n = read("clg 8-2\nA: 14' 2\n wdw 2-6 from left W 36 ht 48 sill 32\n"
                        "B 12-6\n dr 1' from lhs, 32 wide, 80 ht, hinge rh, swings in\n"
                        " outlet 40 from left, 14 AFF\n lt switch 5' from left, 48 AFF\n"
                        " studs 16 o/c, first 14 from left\n");
    EXPECT_NEAR(n.ceiling.height.inInches(), 98, 1e-9);
    ASSERT_EQ(n.walls.size(), 2U);
    EXPECT_NEAR(n.walls[0].run.value.inInches(), 170, 1e-9);
    EXPECT_NEAR(n.walls[1].run.value.inInches(), 150, 1e-9);
    ASSERT_EQ(n.walls[0].openings.size(), 1U);
    const auto& w = n.walls[0].openings[0];
    EXPECT_EQ(w.kind, OpeningKind::window);
    EXPECT_NEAR(w.width.value.inInches(), 36, 1e-9);
    EXPECT_NEAR(w.height.inInches(), 48, 1e-9);
    EXPECT_NEAR(w.sill.inInches(), 32, 1e-9);
    ASSERT_EQ(n.walls[1].openings.size(), 1U);
    EXPECT_EQ(n.walls[1].openings[0].kind, OpeningKind::door);
    EXPECT_TRUE(n.walls[1].openings[0].hingeRight);
    EXPECT_EQ(n.walls[1].fixtures.size(), 2U);
}

TEST(ForgivingNotes, WallsNeedNoLettersAndSizesStandInOne) {
    const auto n = read("wall 14' 2\n window 36x48, 2' from left\nwall 12 ft 6\nwall 14' 2\"\n");
    ASSERT_EQ(n.walls.size(), 3U);
    EXPECT_EQ(n.walls[2].name, "C");
    EXPECT_NEAR(n.walls[1].run.value.inInches(), 150, 1e-9);
    EXPECT_NEAR(n.walls[0].openings.at(0).width.value.inInches(), 36, 1e-9);
    EXPECT_NEAR(n.walls[0].openings.at(0).height.inInches(), 48, 1e-9);
}

TEST(ForgivingNotes, AClosetIsADoorThatLeadsToOne) {
    const auto n =
        read("wall A 12'\n closet 2' from left, 6' wide, 80 high, sliding\nwall B 10'\n");
    ASSERT_EQ(n.walls.at(0).openings.size(), 1U);
    const auto& o = n.walls[0].openings[0];
    EXPECT_EQ(o.kind, OpeningKind::door);
    EXPECT_EQ(o.leadsTo, "closet");
    EXPECT_NEAR(o.width.value.inInches(), 72, 1e-9);
}

TEST(ForgivingNotes, ADecimalCommaIsOneOfMetres) {
    const auto n = read("ceiling 2,60 m\nwall A 4,2 m\nwall B 3,65 m\n");
    EXPECT_NEAR(n.ceiling.height.mm(), 2600, 1e-9);
    EXPECT_NEAR(n.walls.at(1).run.value.mm(), 3650, 1e-9);
}

TEST(ForgivingNotes, WhatCantBeReadIsStillPointedAt) {
    for (const char* text : {"wall A 14'\n window 3 wibble", "wall Q 14'", "wall A 14' extra",
                             "wall A 14'\n door W"}) {
        const auto notes = readTapeNotes(text, "notes");
        ASSERT_FALSE(notes) << text;
        EXPECT_GT(notes.problem().column, 0) << text;
    }
}
