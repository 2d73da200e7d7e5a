// Old houses: every word of the notes, and what it makes of the room, worked by hand.
#include "room/facts.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

#include <numbers>

using namespace mezzet;

namespace {

constexpr double foot = 304.8;

RoomPtr room(const std::string& notes) {
    auto r = roomFromNotes(notes);
    if (!r)
        throw std::runtime_error(r.problem().text());
    return *r;
}

/// A room 20 by 10 feet, 8 feet high; lines go under the wall asked for.
std::string oblong(const std::string& a, const std::string& head = "", const std::string& c = "") {
    return head + "ceiling 8'\nwall A 20'\n" + a + "\nwall B 10'\nwall C 20'\n" + c +
           "\nwall D 10'\n";
}

const Fixture& only(const Room& r) {
    if (r.fixtures.size() != 1)
        throw std::runtime_error("not one fixture");
    return r.fixtures.front();
}

} // namespace

TEST(Features, AnAlcoveAddsItsFloorAndItsWalls) {
    const auto r = room(oblong("alcove 8' from left, 4' wide, 2' deep"));
    EXPECT_NEAR(r->floorArea(), 208 * foot * foot, 1);
    EXPECT_NEAR(r->perimeter().mm(), 64 * foot, 1e-6) << "its two sides are added";
    EXPECT_TRUE(r->holds({10 * foot, -1 * foot}));
    EXPECT_FALSE(r->holds({7 * foot, -1 * foot}));
    EXPECT_EQ(r->edge.size(), 8U);
    const auto f = factsOf(*r);
    EXPECT_NEAR(f.wallArea, 64 * 8 * foot * foot, 1);
    EXPECT_NEAR(f.volume, 208 * 8 * std::pow(foot, 3), 1e3);
    // One that is 6' high: its sides are lower, and so is its ceiling.
    const auto low = factsOf(*room(oblong("alcove 8' from left, 4' wide, 2' deep, 6' high")));
    EXPECT_NEAR(f.wallArea - low.wallArea, 2 * 2 * 2 * foot * foot, 1);
    EXPECT_NEAR(f.volume - low.volume, 8 * 2 * std::pow(foot, 3), 1e3);
}

TEST(Features, ACantedBaySplaysAtItsFace) {
    const auto r = room(oblong("bay 6' from left, 8' wide, 2' deep, face 4'"));
    EXPECT_NEAR(r->floorArea(), (200 + (8 + 4) / 2.0 * 2) * foot * foot, 1);
    EXPECT_NEAR(r->perimeter().mm(), (60 - 8 + 4 + 2 * std::sqrt(8)) * foot, 1e-6);
    // Without a face it splays at 45 degrees.
    EXPECT_NEAR(room(oblong("bay 6' from left, 8' wide, 2' deep"))->floorArea(), r->floorArea(), 1);
}

TEST(Features, ABowIsAnArcByChordAndRise) {
    // Circular segment, any handbook: r = (c²/4 + h²) / 2h, area = r² (θ - sin θ) / 2.
    const double c = 8, h = 1.5;
    const double radius = (c * c / 4 + h * h) / (2 * h);
    const double theta = 2 * std::asin(c / 2 / radius);
    const double segment = radius * radius * (theta - std::sin(theta)) / 2;
    const auto bow = room(oblong("bow 6' from left, 8' wide, 18 deep"));
    EXPECT_NEAR(bow->floorArea() / foot / foot, 200 + segment, 0.01);
    EXPECT_NEAR(bow->perimeter().mm() / foot, 60 - 8 + radius * theta, 0.001);
    // The whole wall curved, out and in.
    const double wallRadius = (400 / 4.0 + 4) / 4;
    const double wallTheta = 2 * std::asin(10 / wallRadius);
    const double wallSegment = wallRadius * wallRadius * (wallTheta - std::sin(wallTheta)) / 2;
    EXPECT_NEAR(room(oblong("curve 2' out"))->floorArea() / foot / foot, 200 + wallSegment, 0.01);
    EXPECT_NEAR(room(oblong("curve 2' in"))->floorArea() / foot / foot, 200 - wallSegment, 0.01);
    const auto curved = room(oblong("curve 2' out"));
    for (const Vec2 p : curved->edge)
        EXPECT_GE(p.y, -2 * foot - 1e-6);
}

TEST(Features, AHalfCircleIsTheMostACurveCanBe) {
    EXPECT_NEAR(room(oblong("bow 6' from left, 8' wide, 4' deep"))->floorArea() / foot / foot,
                200 + std::numbers::pi * 8, 0.01);
    EXPECT_FALSE(roomFromNotes(oblong("bow 6' from left, 8' wide, 5' deep")));
    EXPECT_FALSE(roomFromNotes(oblong("curve 11' out")));
}

TEST(Features, AColumnStandsWhereItsOffsetsSay) {
    const auto square = room(oblong("") + "column 3' from wall A, 5' from wall D, 12 square");
    EXPECT_NEAR(norm(only(*square).middle - Vec2{5.5 * foot, 3.5 * foot}), 0, 1e-6)
        << "offsets run to its faces";
    EXPECT_NEAR(square->floorArea(), 199 * foot * foot, 1);
    EXPECT_FALSE(square->holds({5.5 * foot, 3.5 * foot}));
    const auto round = room(oblong("") + "post 3' from wall A, 5' from wall D, 8 round, centre");
    EXPECT_NEAR(norm(only(*round).middle - Vec2{5 * foot, 3 * foot}), 0, 1e-6);
    // Taped from a third wall, 1 in too far: shared by least squares.
    const auto three =
        room(oblong("") + "column 3' from wall A, 5' from wall D, 14' 1\" from wall B, 12 square");
    EXPECT_NEAR(only(*three).middle.x / 25.4, 65.5, 0.35);
    EXPECT_LT(only(*three).middle.x / 25.4, 66);
    EXPECT_FALSE(roomFromNotes(oblong("") + "column 3' from wall A, 5' from wall C, 12 square"))
        << "walls that run the same way place nothing";
}

TEST(Features, AColumnIsPaintedAndSkirtedRound) {
    // A room of 20 by 10, 8 high: 60 ft of wall. A column a foot square adds four feet of it where
    // it stands free, and two where one side touches a wall and hides a foot of that.
    const auto bare = factsOf(*room(oblong("")));
    const auto free =
        factsOf(*room(oblong("") + "column 3' from wall A, 5' from wall D, 12 square"));
    EXPECT_NEAR(free.wallArea - bare.wallArea, 4 * 8 * foot * foot, 1);
    EXPECT_NEAR((free.skirting - bare.skirting).mm(), 4 * foot, 1e-3);
    const auto touching =
        factsOf(*room(oblong("") + "column 0 from wall A, 5' from wall D, 12 square"));
    EXPECT_NEAR(touching.wallArea - bare.wallArea, 2 * 8 * foot * foot, 1);
    EXPECT_NEAR((touching.skirting - bare.skirting).mm(), 2 * foot, 1e-3);
}

TEST(Features, HeadroomUnderASlope) {
    // Knee of 4' at wall B, full height 5' out: halfway 6'.
    const auto r = room("slope wall B, knee 4', full at 5'\n" + oblong(""));
    const auto at = [&](double fromB) {
        return r->headroom({(20 - fromB) * foot, 5 * foot}).mm() / foot;
    };
    EXPECT_NEAR(at(0), 4, 1e-9);
    EXPECT_NEAR(at(2.5), 6, 1e-9);
    EXPECT_NEAR(at(5), 8, 1e-9);
    EXPECT_NEAR(at(12), 8, 1e-9);
    const auto top = r->topOf(0); // wall A, seen from inside
    ASSERT_EQ(top.size(), 3U);
    EXPECT_NEAR(top[1].x, 15 * foot, 1e-6);
    EXPECT_NEAR(top[2].y, 4 * foot, 1e-6);
    EXPECT_EQ(r->topOf(1).size(), 2U);
    EXPECT_NEAR(r->topOf(1)[0].y, 4 * foot, 1e-6);
    // A prism 5' wide under the slope, mean height 6', and 15' at 8'.
    const auto f = factsOf(*r);
    EXPECT_NEAR(f.volume / std::pow(foot, 3), 10 * (5 * 6 + 15 * 8), 1e-3);
    EXPECT_NEAR(f.ceilingArea / foot / foot, 150 + 10 * std::hypot(5, 4), 1e-6);
    EXPECT_NEAR(f.wallArea / foot / foot, 2 * (15 * 8 + 5 * 6) + 10 * 4 + 10 * 8, 1e-6);
    EXPECT_NEAR(f.headroomLow.mm(), 4 * foot, 1e-3);
}

TEST(Features, TwoSlopesMeetAtAValley) {
    const auto r =
        room("slope wall B, knee 4', full at 5'\nslope wall A, knee 4', full at 5'\n" + oblong(""));
    EXPECT_NEAR(r->headroom({18 * foot, 2 * foot}).mm() / foot, 4 + 4 * 0.4, 1e-9);
    EXPECT_NEAR(r->headroom({18 * foot, 1 * foot}).mm() / foot, 4 + 4 * 0.2, 1e-9);
}

TEST(Features, TraysGoUpAndBeamsComeDown) {
    const auto r =
        room("tray border 2', up 1'\nbeam 4' from wall D, 1' wide, 10 deep\n" + oblong(""));
    EXPECT_NEAR(r->headroom({10 * foot, 5 * foot}).mm() / foot, 9, 1e-9);
    EXPECT_NEAR(r->headroom({1 * foot, 5 * foot}).mm() / foot, 8, 1e-9);
    EXPECT_NEAR(r->headroom({4.5 * foot, 5 * foot}).mm() / foot, 8 - 10 / 12.0, 1e-9);
    const auto f = factsOf(*r);
    EXPECT_NEAR(f.volume / std::pow(foot, 3), 200 * 8 + 16 * 6 * 1 - 10 * 1 * 10 / 12.0, 1e-3);
    EXPECT_NEAR(f.ceilingArea / foot / foot, 200 + 2 * (16 + 6), 1e-6);
    // A border that takes the whole room leaves no tray.
    EXPECT_TRUE(room("tray border 6', up 1'\n" + oblong(""))->trayEdge().empty());
}

TEST(Features, AStepChangesTheLevelBeyondIt) {
    const auto r = room(oblong("") + "step 15' from wall D, down 7");
    EXPECT_EQ(r->levelAt({14 * foot, 5 * foot}).mm(), 0);
    EXPECT_NEAR(r->levelAt({16 * foot, 5 * foot}).inInches(), -7, 1e-9);
    EXPECT_NEAR(r->headroom({16 * foot, 5 * foot}).inInches(), 103, 1e-9);
    const auto f = factsOf(*r);
    EXPECT_NEAR(f.volume / std::pow(foot, 3), 1600 + 5 * 10 * 7 / 12.0, 1e-3);
    EXPECT_NEAR(f.wallArea / foot / foot, 480 + (5 + 5 + 10) * 7 / 12.0, 1e-6);
}

TEST(Features, StairsTakeOneGoingLessThanRisers) { // common practice
    const auto r = room(oblong("stairs 2' from left, 36 wide, riser 7 1/2, going 10, count 10, up "
                               "left"));
    const auto& s = only(*r);
    EXPECT_NEAR(s.width.inInches(), 90, 1e-9);
    EXPECT_NEAR(s.height.inInches(), 75, 1e-9);
    EXPECT_NEAR(s.depth.inInches(), 36, 1e-9);
    EXPECT_FALSE(s.upRight);
    EXPECT_FALSE(r->holds({4 * foot, 1 * foot}));
}

TEST(Features, WhatStandsOnTheWallsHasItsHeights) {
    const auto r = room(oblong(
        "radiator 2' from left, 40 wide, 22 high, 4 deep\nbuilt-in 8' from left, 4' wide, 14 deep\n"
        "vent 1' from left, 12 wide, 6 high, 2 up\nlight 6' from left, 60 up\nhalf wall 15' from "
        "left, 3' long, 42 high\nbuilt-in 13' from left, 2' wide, 12 deep, 16 high, 79 up"));
    const auto named = [&](const std::string& n) -> const Fixture& {
        for (const auto& f : r->fixtures)
            if (f.name() == n)
                return f;
        throw std::runtime_error(n);
    };
    EXPECT_NEAR(named("radiator").up.inInches(), 4, 1e-9) << "common practice";
    EXPECT_TRUE(named("built-in").toCeiling);
    EXPECT_NEAR(named("half wall").depth.inInches(), 36, 1e-9);
    EXPECT_FALSE(named("wall light").takesFloor());
    EXPECT_TRUE(named("built-in").takesFloor());
    EXPECT_FALSE(named("built-in 2").takesFloor()) << "it hangs over heads";
}

TEST(Features, AFireplaceHasItsHearth) {
    const auto r = room(oblong("fireplace 8' from left, 5' wide, 14 deep, hearth 18, fire 36, "
                               "lintel 32"));
    const auto& f = only(*r);
    EXPECT_NEAR(f.hearthDepth.inInches(), 18, 1e-9);
    EXPECT_NEAR(f.hearthWidth.inInches(), 60, 1e-9) << "as wide as the breast";
    EXPECT_NEAR(f.fireWidth.inInches(), 36, 1e-9);
    const auto facts = factsOf(*r);
    EXPECT_NEAR(facts.skirting.inInches(), 720 + 28 - 36, 1e-6);
    EXPECT_NEAR(facts.openingsArea / 25.4 / 25.4, 36 * 32, 1e-6);
}

TEST(Features, SkirtingStopsAtDoors) {
    const auto r = room(oblong("door 2' from left, 3' wide\nwindow 8' from left, 4' wide"));
    const auto f = factsOf(*r);
    EXPECT_NEAR(f.skirting.mm(), 57 * foot, 1e-6);
    EXPECT_NEAR(f.netWallArea() / foot / foot, 480 - 3 * 80 / 12.0 - 4 * 4, 1e-6);
    EXPECT_NEAR(f.glassArea / foot / foot, 16, 1e-6);
}

TEST(Features, DoorsSweepAsTheyAreHung) {
    const auto sweeps = [](const std::string& style) {
        const auto r = room(oblong("door 4' from left, 4' wide, " + style));
        return doorSwing(*r, r->openings[0]);
    };
    const auto in = [](const Shape& s, double x, double y) {
        return contains(s, {x * foot, y * foot});
    };
    const auto hinged = sweeps("hinge left, swings in");
    ASSERT_TRUE(hinged);
    EXPECT_TRUE(in(*hinged, 4.1, 3.8));
    const auto pair = sweeps("double");
    ASSERT_TRUE(pair);
    EXPECT_TRUE(in(*pair, 4.1, 1.8));
    EXPECT_TRUE(in(*pair, 7.9, 1.8));
    EXPECT_FALSE(in(*pair, 6, 1.8)) << "each leaf is half as wide";
    const auto folding = sweeps("folding, hinge right");
    ASSERT_TRUE(folding);
    EXPECT_TRUE(in(*folding, 7.9, 1.8));
    EXPECT_FALSE(in(*folding, 4.1, 1.8));
    EXPECT_FALSE(sweeps("sliding, slides left"));
    EXPECT_FALSE(sweeps("pocket, slides right"));
    EXPECT_FALSE(sweeps("double, swings out"));
}

TEST(Features, StudsAreSpacedOrEachSounded) {
    const auto spaced = room(oblong("studs 16 apart, first 14 from left"));
    const auto on = spaced->studs[0]->on(spaced->walls[0].length());
    EXPECT_EQ(on.size(), 15U);
    EXPECT_NEAR(on[2].inInches(), 46, 1e-9);
    const auto each = room(oblong("studs at 14, 30 1/2, 46"));
    ASSERT_EQ(each->studs[0]->on(Length::feet(20)).size(), 3U);
    EXPECT_NEAR(each->studs[0]->on(Length::feet(20))[1].inInches(), 30.5, 1e-9);
}

TEST(Features, WindowsAndMouldings) {
    const auto r =
        room("skirting 6\npicture rail 6' 9\"\nchair rail 32\ncornice 4\njoists 16 "
             "apart, first 9 from wall A\n" +
             oblong("window 2' from left, 3' wide, head 7', sill 30, reveal 5, opens in"));
    EXPECT_NEAR(r->mouldings.pictureRail->inInches(), 81, 1e-9);
    EXPECT_NEAR(r->mouldings.cornice->inInches(), 4, 1e-9);
    EXPECT_NEAR(r->joists->first.inInches(), 9, 1e-9);
    const auto& w = r->openings[0];
    EXPECT_NEAR(w.head().inInches(), 84, 1e-9);
    EXPECT_NEAR(w.reveal->inInches(), 5, 1e-9);
    EXPECT_EQ(w.opens, WindowOpens::inward);
    EXPECT_TRUE(w.sillTaped);
}

TEST(Features, TapedFromBothCornersAThingIsSharedBetweenThem) {
    // 3' and 14' 1" about 3' of window on a wall of 20': an inch over, half to each side.
    const auto r = room(oblong("window 3' from left, 3' wide, 14' 1\" from right"));
    EXPECT_NEAR(r->openings[0].left.inInches(), 36, 0.6);
    EXPECT_GT(r->walls[0].length().inInches(), 240) << "the parts pull the wall a little longer";
}

TEST(Features, WhatCantBeMeantIsRefusedWhereItStands) {
    struct Case {
        std::string notes;
        int line;
        const char* says;
    };
    const Case cases[] = {
        {"ceiling 8'\nceiling 9'\nwall A 10'", 2, "given twice"},
        {"slope wall B, knee 9', full at 5'\n" + oblong(""), 1, "as high as the ceiling"},
        {"slope wall B, knee 4'\n" + oblong(""), 1, "full height"},
        {"slope wall Q, knee 4', full at 5'\n" + oblong(""), 1, "no wall Q"},
        {"slope wall B, knee 4', full at 5'\n" + oblong("door 16' from left, 3' wide, 80 high"), 4,
         "sloping ceiling"},
        {oblong("alcove 17' from left, 4' wide, 2' deep"), 3, "past the end"},
        {oblong("bay 3' from left, 4' wide, 3' deep"), 3, "face"},
        {oblong("alcove 3' from left, 4' wide, 2' deep\nwindow 4' from left, 2' wide"), 3,
         "lies over"},
        {oblong("stairs 2' from left, 36 wide, riser 7, going 10"), 3, "count"},
        {oblong("stairs 2' from left, 36 wide, riser 7, going 10, count 2.5"), 3, "whole number"},
        {oblong("built-in 2' from left, 36 wide, 12 deep, 60 high, 60 up"), 3, "above the ceiling"},
        {oblong("studs at 14, 12"), 3, "left to right"},
        {oblong("studs at 14, 400"), 2, "past the end"},
        {oblong("radiator 2' from left"), 3, "no width"},
        {oblong("door 2' from left, 3' wide, slides up"), 3, "to which side"},
        {oblong("window 2' from left, 3' wide, opens never"), 3, "which way"},
        {oblong("") + "column 3' from wall A, 12 square", 8, "two walls"},
        {oblong("") + "column 3' from wall A, 3' from wall Z, 12 square", 8, "no wall Z"},
        {oblong("") + "beam 3' from wall A, 8 wide, 9' deep", 8, "down to the floor"},
        {oblong("") + "step 3' from wall A", 8, "up or down"},
        {"skirting 9'\n" + oblong(""), 2, ""},
        {"accuracy tape 0\nwall A 3'", 1, "more than nothing"},
        {"taken by foot\nwall A 3'", 1, "taken by what"},
        {oblong("") + "diagonal A to Q 12'", 8, "no wall Q"},
        {"room Den\nwall A 3'\nroom den\nwall A 3'", 3, "already"}};
    for (const auto& c : cases) {
        const auto r = roomsFromNotes(c.notes, "n.tape");
        if (std::string(c.says).empty())
            continue;
        ASSERT_FALSE(r) << c.notes;
        EXPECT_EQ(r.problem().line, c.line) << c.notes << "\n" << r.problem().text();
        EXPECT_NE((r.problem().what + r.problem().remedy).find(c.says), std::string::npos)
            << r.problem().text();
        EXPECT_EQ(r.problem().file, "n.tape");
    }
}

TEST(Features, WeightsAreStatedAndEditable) {
    const auto notes = readTapeNotes("accuracy tape 1/4, 1 in 1000\naccuracy corner 2\naccuracy "
                                     "angle 0.1\ntaken by laser\nwall A 10'\nwall B 10' by eye\n"
                                     "corner 91 by eye\nwall C 10' by tape\nwall D 10'");
    ASSERT_TRUE(notes) << notes.problem().text();
    const auto& n = notes->front();
    EXPECT_NEAR(n.weights.tape.fixed.inInches(), 0.25, 1e-9);
    EXPECT_NEAR(n.weights.tape.share, 0.001, 1e-12);
    EXPECT_NEAR(n.weights.assumed.inDegrees(), 2, 1e-9);
    EXPECT_EQ(n.walls[0].run.tool, Tool::laser);
    EXPECT_EQ(n.walls[1].run.tool, Tool::eye);
    EXPECT_EQ(n.walls[1].corner, CornerSure::byEye);
    EXPECT_EQ(n.walls[2].run.tool, Tool::tape);
    // A run by eye gives way to three by laser.
    const auto r = room("taken by laser\nwall A 10'\nwall B 12' 3\" by eye\nwall C 10'\nwall D "
                        "12'\ntolerance 1 in 50");
    ASSERT_TRUE(r->closed) << r->closure.words;
    EXPECT_GT(std::abs(r->closure.corrections[1].inInches()), 1.5);
    EXPECT_LT(std::abs(r->closure.corrections[3].inInches()), 0.1);
}

TEST(Features, UnknownCornersAreFoundByDiagonals) {
    const std::string four = "wall A 4'\ncorner unknown\nwall B 3'\ncorner unknown\nwall C "
                             "4'\ncorner unknown\nwall D 3'\ncorner unknown\n";
    const auto loose = room(four);
    EXPECT_FALSE(loose->closed);
    ASSERT_TRUE(loose->fit.next) << "which diagonal would hold them";
    EXPECT_NE(loose->closure.words.find("iagonal"), std::string::npos) << loose->closure.words;
    const auto held = room(four + "diagonal A to C 5'");
    ASSERT_TRUE(held->closed) << held->closure.words;
    EXPECT_NEAR(norm(held->walls[2].start - Vec2{4 * foot, 3 * foot}), 0, 0.01) << "3-4-5";
    EXPECT_EQ(held->fit.redundancy, 0);
}

TEST(Facts, WhatTheWallsHaveEachIsWhatTheyHaveTogether) {
    const auto r =
        room("ceiling 8'\nslope wall B, knee 4', full at 5'\nwall A 20'\n window 3' from "
             "left, 5' wide, 4' high, sill 32\nwall B 10'\nwall C 20'\n door 14' from "
             "left, 32 wide, 80 high\nwall D 10'\n");
    // By hand: A is 20 by 8 less its window; a slope takes a triangle of 5 by 4 off each of A and
    // C, and leaves B a knee of 4.
    EXPECT_NEAR(netAreaOf(*r, 0), (20 * 8 - 5 * 4 - 5 * 4 / 2.0) * foot * foot, 1);
    EXPECT_NEAR(netAreaOf(*r, 1), 10 * 4 * foot * foot, 1);
    EXPECT_NEAR(netAreaOf(*r, 3), 10 * 8 * foot * foot, 1);
    double sum = 0;
    for (int i = 0; i < 4; ++i)
        sum += netAreaOf(*r, i);
    EXPECT_NEAR(sum, factsOf(*r).netWallArea(), 1);
    const auto open = room("wall A 20'\nwall B 10'\nwall C 15'\nwall D 10'\n");
    EXPECT_EQ(netAreaOf(*open, 0), 0) << "nothing is told of a room that doesn't close";
}

TEST(Features, NoLeafIsWiderThanDoorsAreMade) {
    const auto style = [](const std::string& door) {
        return room(oblong(door))->openings.front().style;
    };
    // Doors are made with leaves up to about 42 inches wide (common practice).
    EXPECT_EQ(style("door 2' from left, 36 wide"), DoorStyle::hinged);
    EXPECT_EQ(style("closet doors 2' from left, 6' wide"), DoorStyle::pair);
    EXPECT_EQ(style("door 2' from left, 60 wide"), DoorStyle::pair);
    EXPECT_EQ(style("door 2' from left, 60 wide, hinge left"), DoorStyle::hinged);
    EXPECT_EQ(style("sliding door 2' from left, 6' wide"), DoorStyle::sliding);
}
