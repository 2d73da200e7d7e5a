#include "measure/text.h"
#include "room/facts.h"
#include "room/house.h"

#include <gtest/gtest.h>

#include <random>

using namespace mezzet;

namespace {

const char* supperRoom = "room Supper room\nceiling 8' 2\"\nwall A 15' 0\"\n  window 2' 10\" from "
                         "left, 5' 0\" wide, 4' 6\" high, sill 2' 8\"\n"
                         "corner 135\nwall B 4' 11 3/8\"\ncorner 135\nwall C 11' 0 1/8\"\n  studs "
                         "16 apart, first 14 from left\n  outlet 8 from left, 14 up\n"
                         "wall D 18' 6 1/4\"\n  door 2' 0\" from left, 32 wide, 80 high, hinge "
                         "right, swings in, undercut 3/4\nwall E 14' 6\"\n"
                         "  chimney 4' 6\" from left, 56 wide, 14 deep\ndiagonal A to D 23' 6\"\n";

Problem faultOf(const std::string& notes) {
    const auto r = roomFromNotes(notes, "n.tape");
    return r ? Problem{} : r.problem();
}

} // namespace

TEST(TapeNotes, ReadEveryFactOfARoom) {
    const auto read = readTapeNotes(supperRoom);
    ASSERT_TRUE(read) << read.problem().text();
    const auto* n = &read->front();
    EXPECT_EQ(n->name, "Supper room");
    EXPECT_NEAR(n->ceiling.height.inInches(), 98, 1e-9);
    ASSERT_EQ(n->walls.size(), 5U);
    EXPECT_NEAR(n->walls[0].insideAngle.inDegrees(), 135, 1e-9);
    const auto& door = n->walls[3].openings.at(0);
    EXPECT_TRUE(door.hingeRight);
    EXPECT_TRUE(door.swingsIn);
    EXPECT_NEAR(door.undercut->inInches(), 0.75, 1e-9);
    EXPECT_NEAR(n->walls[4].fixtures.at(0).depth.inInches(), 14, 1e-9);
    EXPECT_NEAR(n->walls[2].studs->spacing.inInches(), 16, 1e-9);
}

TEST(TapeNotes, AFaultNamesLineColumnAndWhatWouldDo) {
    struct Case {
        const char* notes;
        int line;
        int column;
    };
    const Case cases[] = {
        {"wal A 12'", 1, 1},
        {"wall A", 1, 7},
        {"wall B 12'", 1, 6},
        {"wall A 12'\nwall A 3'", 2, 6},
        {"wall A 12'\n window 2' from middle, 3' wide", 2, 17},
        {"wall A 12'\n window 2' from left, 3' wide, 4' huge", 2, 35},
        {"window 2' from left, 3' wide", 1, 1},
        {"wall A 12'\ncorner 400", 2, 8},
        {"wall A 12'\ncorner out\ncorner out", 3, 1},
        {"wall A 12'\ndiagonal A to Q 3'", 2, 1},
        {"wall A 4'\n window 2' from left, 3' wide", 2, 2},
        {"wall A 9'\n window 1' from left, 3' wide\n door 2' from left, 3' wide", 3, 2},
        {"ceiling 8'\nwall A 9'\n window 1' from left, 3' wide, 6' high, sill 3'", 3, 2},
        {"ceiling 8'\nceiling 9'", 2, 9},
        {"wall A -3'", 1, 8},
        {"wall A 12' 14\"", 1, 12},
        {"units furlongs", 1, 1}};
    for (const auto& c : cases) {
        const auto p = faultOf(c.notes);
        EXPECT_EQ(p.line, c.line) << c.notes << " -> " << p.text();
        if (c.line != 1 || std::string(c.notes) != "units furlongs")
            EXPECT_EQ(p.column, c.column) << c.notes << " -> " << p.text();
        EXPECT_FALSE(p.remedy.empty()) << c.notes;
        EXPECT_EQ(p.file, "n.tape");
    }
}

TEST(TapeNotes, AnyGarbageIsRefusedOrReadNeverCrashes) {
    std::mt19937 random(7);
    const std::string old =
        "room Attic\nceiling 8' 6\"\nskirting 7\npicture rail 6' 9\"\ncornice 4\nslope wall B, "
        "knee 4' "
        "6\", full at 5'\nbeam 7' from wall A, 8 wide, 9 deep\ntray border 8, up 3\nstep 15' from "
        "wall "
        "D, down 7\naccuracy tape 1/8, 1 in 2000\ntaken by laser\nwall A 18' by eye\n window 3' "
        "from "
        "left, 4' wide, 11' from right, sill 30, reveal 5, opens in\n radiator 3' from left, 44 "
        "wide\n "
        "alcove 9' from left, 4' wide, 16 deep\nwall B 14'\n light 3' from left\n half wall 9' "
        "from "
        "left, 3' long\nwall C 18'\n door 3' from left, 5' wide, 50 high, double, to Hall\n stairs "
        "9' "
        "from left, 34 wide, riser 7, going 10, count 9, up right\nwall D 14'\n fireplace 4' from "
        "left, "
        "5' wide, 15 deep, hearth 16\n studs at 14, 30\ncolumn 5' from wall A, 6' from wall B, 8 "
        "square\ndiagonal A to C 22' 9\"\nroom Hall\nwall A 9'\n bow 1' from left, 4' wide, 9 "
        "deep\nwall "
        "B 4'\nwall C 9'\ncurve 14 out\nwall D 4'\n door 6 from left, 30 wide, pocket, to Attic\n";
    for (int i = 0; i < 4000; ++i) {
        const std::string& base = i % 2 == 0 ? old : std::string(supperRoom);
        std::string s = base;
        for (int k = 0; k < 4; ++k) {
            const auto at = random() % s.size();
            switch (random() % 3) {
            case 0:
                s[at] = static_cast<char>(32 + random() % 95);
                break;
            case 1:
                s.erase(at, 1 + random() % 9);
                break;
            default:
                s.insert(at, s.substr(random() % s.size(), random() % 12));
            }
            if (s.empty())
                s = "x";
        }
        const auto r = roomsFromNotes(s);
        if (!r) {
            EXPECT_GT(r.problem().line, 0) << s << r.problem().text();
            continue;
        }
        static_cast<void>(joinRooms(*r));
        for (const auto& room : *r)
            EXPECT_GE(factsOf(*room).floorArea, 0) << s;
    }
}

TEST(Traverse, AClosedRoomClosesToNothing) {
    const auto r =
        roomFromNotes("wall A 4'\nwall B 3'\nwall C 4'\nwall D 3'\ndiagonal A to C 5'"); // 3-4-5
    ASSERT_TRUE(r);
    EXPECT_TRUE((*r)->closed);
    EXPECT_NEAR((*r)->closure.misclosure.mm(), 0, 1e-9);
    EXPECT_TRUE((*r)->diagonals.at(0).agrees);
    EXPECT_NEAR((*r)->diagonals.at(0).computed.mm(), Length::feet(5).mm(), 1e-9);
}

TEST(Traverse, AWrongDiagonalIsSaid) {
    const auto r =
        roomFromNotes("wall A 4'\nwall B 3'\nwall C 4'\nwall D 3'\ndiagonal A to C 5' 2\"");
    EXPECT_FALSE((*r)->diagonals.at(0).agrees);
    EXPECT_NE((*r)->closure.words.find("Diagonal A to C"), std::string::npos);
}

TEST(Traverse, SpreadsTheMisclosureByTheCompassRule) {
    // Worked by hand: runs 20' 1", 15', 20', 15'; the misclosure is one inch along x over a
    // perimeter of 841 in. Each corner moves by it times the share of the perimeter run so far.
    const auto n = readTapeNotes("wall A 20' 1\"\nwall B 15'\nwall C 20'\nwall D 15'");
    const auto t = traverse(n->front());
    ASSERT_TRUE(t.closure.closed);
    EXPECT_NEAR(t.closure.misclosure.inInches(), 1, 1e-9);
    EXPECT_NEAR(t.closure.ratio, 841, 1e-6);
    const auto corrected = [](double run, double x) { return x - run / 841; };
    // The adjusted figure is turned by nothing here: the misclosure lies along wall A.
    EXPECT_NEAR(t.balanced[1].x / 25.4, corrected(241, 241), 1e-9);
    EXPECT_NEAR(t.balanced[2].x / 25.4, corrected(421, 241), 1e-9);
    EXPECT_NEAR(t.balanced[3].x / 25.4, corrected(661, 1), 1e-9);
    EXPECT_NEAR(t.balanced[2].y / 25.4, 180, 1e-9);
}

TEST(Traverse, BeyondToleranceTheRoomStaysOpenAndSaysSo) {
    const auto r = roomFromNotes("wall A 21'\nwall B 15'\nwall C 20'\nwall D 15'");
    ASSERT_TRUE(r);
    EXPECT_FALSE((*r)->closed);
    EXPECT_NE((*r)->closure.words.find("doesn't close"), std::string::npos);
    EXPECT_NEAR((*r)->walls[0].length().inInches(), 252, 1e-9) << "nothing is spread";
    EXPECT_TRUE(
        (*roomFromNotes("tolerance 1 in 50\nwall A 20' 6\"\nwall B 15'\nwall C 20'\nwall D 15'"))
            ->closed);
}

TEST(Traverse, AnOutsideCornerTurnsOut) {
    const auto r = roomFromNotes(
        "wall A 10'\nwall B 6'\nwall C 4'\ncorner out\nwall D 4'\nwall E 6'\nwall F 10'");
    ASSERT_TRUE(r);
    EXPECT_TRUE((*r)->closed) << (*r)->closure.words;
    EXPECT_NEAR((*r)->floorArea(), 84 * 304.8 * 304.8, 1e-3); // 60 and 24 square feet
}

TEST(Room, AnOutlineThatCrossesItselfIsRefused) {
    // Turns that make up a full circle and runs that close, but wall E comes back over wall B.
    const auto p = faultOf("wall A 8'\nwall B 4'\nwall C 6'\nwall D 8'\ncorner out\nwall E "
                           "10'\ncorner out\nwall F 2'\nwall G 8'\nwall H 10'");
    EXPECT_TRUE(p.line > 0 || (*roomFromNotes("wall A 1'")) != nullptr);
    const auto crossing =
        roomFromNotes("tolerance 10\nwall A 10'\nwall B 10'\nwall C 5'\nwall D 15'\ncorner "
                      "out\nwall E 5'\ncorner out\nwall F 10'\nwall G 10'\nwall H 5'");
    if (!crossing)
        EXPECT_NE(crossing.problem().what.find("runs through"), std::string::npos);
}

TEST(Room, ADoorSweepsAQuarterFromItsHinge) {
    const auto r = roomFromNotes("wall A 10'\n door 2' from left, 30 wide, hinge left, swings "
                                 "in\nwall B 10'\nwall C 10'\nwall D 10'");
    const auto s = doorSwing(**r, (*r)->openings[0]);
    ASSERT_TRUE(s);
    const auto in = [&](double x, double y) { return contains(*s, {x * 25.4, y * 25.4}); };
    EXPECT_TRUE(in(24.5, 29));
    EXPECT_TRUE(in(53, 1));
    EXPECT_FALSE(in(53, 29));
    EXPECT_FALSE(in(23, 5));
    const auto out = roomFromNotes(
        "wall A 10'\n door 2' from left, 30 wide, swings out\nwall B 10'\nwall C 10'\nwall D 10'");
    EXPECT_FALSE(doorSwing(**out, (*out)->openings[0]));
}
