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

TEST(ForgivingNotes, ABareFigureIsOfTheSystemThatIsWrittenFirst) {
    const auto metric =
        read("# the 14' room\nceiling 2,55 m\nwall A 6,8 m\n window 1,2 m from left, 160 wide, 130 "
             "high, sill 90\nwall B 360\n");
    EXPECT_EQ(metric.units, Units::centimetres);
    EXPECT_NEAR(metric.walls.at(0).openings.at(0).width.value.mm(), 1600, 1e-9);
    EXPECT_NEAR(metric.walls.at(1).run.value.mm(), 3600, 1e-9);
    // "1 in 200" is no length, and what comes first decides.
    EXPECT_EQ(read("tolerance 1 in 150\nceiling 250cm\n").units, Units::centimetres);
    EXPECT_EQ(read("wall A 14' 2\nceiling 2.5m\n").units, Units::feetAndInches);
    EXPECT_EQ(read("units inches\nceiling 2.5m\nwall A 120\n").walls.at(0).run.value,
              Length::inches(120));
}

TEST(ForgivingNotes, ABareFigureThatMakesNoSenseIsAskedAbout) {
    for (const auto& [text, line] :
         {std::pair{"ceiling 2,55 m\nwall A 6,8\n", 2}, std::pair{"ceiling 2,55 m\nA: 6,8\n", 2},
          std::pair{"ceiling 255\nwall A 680\n", 1}, std::pair{"wall A 1250\n", 1}}) {
        const auto notes = readTapeNotes(text, "notes");
        ASSERT_FALSE(notes) << text;
        EXPECT_EQ(notes.problem().line, line) << text;
        EXPECT_NE(notes.problem().what.find("is that so"), std::string::npos) << text;
        EXPECT_NE(notes.problem().remedy.find("cm"), std::string::npos) << text;
    }
    EXPECT_TRUE(readTapeNotes("ceiling 17'\nwall A 61'\n"));
    EXPECT_TRUE(readTapeNotes("units inches\nceiling 255\nwall A 1250\n"));
}
