// Tape notes as they are scribbled: abbreviations, walls without letters, sizes in one.
#include "survey/tape_notes.h"

#include <gtest/gtest.h>

#include <regex>

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

TEST(ForgivingNotes, DoorsAndWindowsAreSaidByTheirSort) {
    const auto n = read("ceiling 8'\nwall A 30'\n"
                        " closet doors 2' from left, 6' wide\n"
                        " sliding glass door 9' from left, 6' wide\n"
                        " French doors 16' from left, 5' wide\n"
                        " pocket door: 22' from left, 30 wide\n"
                        " Front door 26' from left, 36 wide, hinge left\n"
                        "wall B 30'\n"
                        " picture window 2' from left, 6' wide, 4' high, sill 30\n"
                        " double-hung window 10' from left, 3' wide\n"
                        " bifold door 15' from left, 30 wide\n"
                        " back door 20' from left, 32 wide\n"
                        " bathroom door 25' from left, 28 wide\n");
    ASSERT_EQ(n.walls.size(), 2U);
    const auto& a = n.walls[0].openings;
    ASSERT_EQ(a.size(), 5U);
    for (const auto& o : a)
        EXPECT_EQ(o.kind, OpeningKind::door);
    EXPECT_EQ(a[0].leadsTo, "closet");
    EXPECT_EQ(a[1].style, DoorStyle::sliding);
    EXPECT_EQ(a[2].style, DoorStyle::pair);
    EXPECT_EQ(a[3].style, DoorStyle::pocket);
    EXPECT_EQ(a[4].style, DoorStyle::hinged);
    EXPECT_EQ(a[4].leadsTo, "outside");
    EXPECT_FALSE(a[4].hingeRight);
    const auto& b = n.walls[1].openings;
    ASSERT_EQ(b.size(), 5U);
    EXPECT_EQ(b[0].kind, OpeningKind::window);
    EXPECT_EQ(b[0].opens, WindowOpens::fixed);
    EXPECT_NEAR(b[0].sill.inInches(), 30, 1e-9);
    EXPECT_EQ(b[1].opens, WindowOpens::sliding);
    EXPECT_EQ(b[2].style, DoorStyle::folding);
    EXPECT_EQ(b[3].leadsTo, "garden");
    EXPECT_EQ(b[4].leadsTo, "bathroom");
}

TEST(ForgivingNotes, WhatIsInTheMiddleOfItsWallNeedsNoFigure) {
    // A fireplace 5' wide in the middle of 15' begins at 5'; a window 4' wide of 10' at 3'.
    const auto n = read("ceiling 8'\nwall A 15'\n fireplace centered, 5' wide, 16 deep\n"
                        "wall B 10'\n window in the middle of the wall, 4' wide, sill 3'\n");
    ASSERT_EQ(n.walls.size(), 2U);
    const auto& fire = n.walls[0].fixtures.at(0);
    EXPECT_NEAR(fire.at.on(n.walls[0].run.value, fire.width.value).inInches(), 60, 1e-9);
    const auto& window = n.walls[1].openings.at(0);
    EXPECT_NEAR(window.at.on(n.walls[1].run.value, window.width.value).inInches(), 36, 1e-9);
    const auto metric =
        read("ceiling 2,50 m\nwall A 4,00 m\n chimney centred, 1,20 m wide, 35 cm deep\n");
    const auto& breast = metric.walls.at(0).fixtures.at(0);
    EXPECT_NEAR(breast.at.on(metric.walls[0].run.value, breast.width.value).mm(), 1400, 1e-9);
}

TEST(ForgivingNotes, ABareFigureBehindThePlaceIsAWidth) {
    const auto n = read("ceiling 8'\nwall A 15'\n door 3' from right, 32\"\n window 2' from left, "
                        "40w x 48h, sill 30\n");
    const auto& all = n.walls.at(0).openings;
    ASSERT_EQ(all.size(), 2U);
    EXPECT_NEAR(all[0].width.value.inInches(), 32, 1e-9);
    EXPECT_NEAR(all[1].width.value.inInches(), 40, 1e-9);
    EXPECT_NEAR(all[1].height.inInches(), 48, 1e-9);
    // One that nothing tells the meaning of is asked about, and two of them are.
    for (const char* line : {"door 32\"", "door 3' from left, 32, 36", "door at 3', 32 wide",
                             "door centred, 3' from left, 32 wide"}) {
        const auto bad =
            readTapeNotes(std::string("ceiling 8'\nwall A 15'\n ") + line + "\n", "notes");
        EXPECT_FALSE(bad) << line;
    }
}

TEST(ForgivingNotes, HeatersCountersAndSocketsAreKnownByTheirOtherNames) {
    const auto n = read("ceiling 8'\nwall A 20'\n baseboard heater 2' from left, 4' wide\n"
                        " kitchen counter 8' from left, 6' wide, 25 deep, 36 high\n"
                        " power point 16' from left\n light switch 17' from left\n"
                        " AC vent 18' from left\n"
                        "baseboard 5 high\n");
    const auto& all = n.walls.at(0).fixtures;
    ASSERT_EQ(all.size(), 5U);
    EXPECT_EQ(all[0].kind, FixtureKind::radiator);
    EXPECT_EQ(all[1].kind, FixtureKind::builtIn);
    EXPECT_EQ(all[2].kind, FixtureKind::outlet);
    EXPECT_EQ(all[3].kind, FixtureKind::lightSwitch);
    EXPECT_EQ(all[4].kind, FixtureKind::vent);
    ASSERT_TRUE(n.mouldings.skirting); // a board alone is no heater
    EXPECT_NEAR(n.mouldings.skirting->inInches(), 5, 1e-9);
}

TEST(ForgivingNotes, SeveralAndHyphensAreTheSameThing) {
    const auto n = read("ceiling 8'\nwall A 40'\n patio doors 2' from left, 6' wide\n"
                        " bi-fold doors 9' from left, 4' wide\n double-hung windows 15' from left, "
                        "3' wide\n built-in cabinets 20' from left, 6' wide, 14 deep\n"
                        " built in 30' from left, 4' wide, 14 deep\n");
    const auto& all = n.walls.at(0).openings;
    ASSERT_EQ(all.size(), 3U);
    EXPECT_EQ(all[0].style, DoorStyle::sliding);
    EXPECT_EQ(all[0].leadsTo, "patio");
    EXPECT_EQ(all[1].style, DoorStyle::folding);
    EXPECT_EQ(all[2].opens, WindowOpens::sliding);
    ASSERT_EQ(n.walls[0].fixtures.size(), 2U);
    EXPECT_EQ(n.walls[0].fixtures[0].kind, FixtureKind::builtIn);
}

TEST(ForgivingNotes, WhatIsNotTapedIsRoundInTheNotesOwnUnits) {
    const auto n =
        read("units cm\nroom R\nwall A 400\n window 50 from left, 120 wide\n outlet 20 from "
             "left\nwall B 300\n door 20 from left, 76\nwall C 400\n radiator 50 from left, "
             "100 wide\nwall D 300\n");
    EXPECT_NEAR(n.ceiling.height.mm(), 2400, 1e-9);
    EXPECT_FALSE(n.ceiling.taped);
    EXPECT_NEAR(n.walls[0].openings[0].height.mm(), 1200, 1e-9);
    EXPECT_NEAR(n.walls[0].openings[0].sill.mm(), 800, 1e-9);
    EXPECT_NEAR(n.walls[0].fixtures[0].up.mm(), 300, 1e-9);
    EXPECT_NEAR(n.walls[1].openings[0].height.mm(), 2000, 1e-9);
    EXPECT_NEAR(n.walls[2].fixtures[0].height.mm(), 600, 1e-9);
    const auto inches = read("room R\nwall A 12'\n window 2' from left, 4' wide\n");
    EXPECT_NEAR(inches.ceiling.height.inInches(), 96, 1e-9);
    EXPECT_NEAR(inches.walls[0].openings[0].height.inInches(), 48, 1e-9);
}

TEST(ForgivingNotes, NoMessageOfMetricNotesHasAnInch) {
    for (const char* line :
         {"column 100 from wall A", "chimney 50 from left, 100 wide", "stairs 10 from left",
          "bay 50 from left, 100 wide, 80 deep", "slope wall A", "beam", "studs", "tray", "joists",
          "step", "diagonal A to Q 200", "window 20 from left", "half wall 20 from left"}) {
        const auto notes = readTapeNotes(
            std::string("units cm\nroom R\nwall A 400\nwall B 300\nwall C 400\n") + line + "\n",
            "notes");
        ASSERT_FALSE(notes) << line;
        const auto told = notes.problem().text();
        static const std::regex inches(R"(\d ?['"]|\d \d/\d)");
        EXPECT_FALSE(std::regex_search(told, inches)) << told;
    }
}

TEST(ForgivingNotes, AWordThatIsNotToldOfAThingIsNamed) {
    const auto word =
        readTapeNotes("room R\nwall A 12'\n radiator 2' from left, 4' wide, painted\n", "notes");
    ASSERT_FALSE(word);
    EXPECT_NE(word.problem().what.find("“painted” is not told of the radiator"), std::string::npos)
        << word.problem().text();
    const auto sill = readTapeNotes(
        "room R\nwall A 12'\n bay window 2' from left, 6' wide, 20 deep, sill 24\n", "notes");
    ASSERT_FALSE(sill);
    EXPECT_NE(sill.problem().remedy.find("its walls in turn"), std::string::npos);
}
