// The rules of rugs at, inside and outside their bounds; legs against points thrown at them.
#include "geometry/polygon.h"
#include "judge/rug_facts.h"
#include "scheme/rug.h"

#include "judge/seen.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// All readings of a rule about a piece, in inches.
std::vector<std::pair<double, Verdict>> all(const Project& job, const char* rule) {
    std::vector<std::pair<double, Verdict>> out;
    for (const Reading& r : readingsOf(job))
        if (r.rule->id == rule)
            out.emplace_back(r.value.value / 25.4, r.verdict);
    return out;
}

std::string rugAt(double wide, double deep, double x, double y) {
    return fmt::format("rug {:.4f}in x {:.4f}in called Ground at {:.4f}in, {:.4f}in", wide, deep, x,
                       y);
}

const std::string sofaThere = "sofa 84 x 36 x 34 at 120, 40, facing wall C";

SeatOnRug onRug(const Project& job, const char* seat, const char* rug) {
    const auto scene = *sceneOf(job);
    const Piece& s = *job.scheme().byName(seat);
    const Piece& r = *job.scheme().byName(rug);
    return seatOnRug(s, scene->byId(s.id)->pose, trueOutline(r, scene->byId(r.id)->pose),
                     Length::inches(2), Length::inches(6));
}

} // namespace

TEST(RugHold, HoldsByTheFrontSixInchesOverTheFullWidth) { // common practice
    // The sofa's front edge is at 58 in; a rug that begins at 52 takes 6 of it.
    const auto hold = [](double from, double wide = 120) {
        return readingOf({sofaThere, rugAt(wide, 60, 120, from + 30)}, "rug-hold", "Sofa",
                         "Ground");
    };
    EXPECT_EQ(hold(52).verdict, Verdict::right);
    EXPECT_NEAR(hold(52).value, 6, 1e-4);
    EXPECT_EQ(hold(51.99).verdict, Verdict::right);
    EXPECT_EQ(hold(52.01).verdict, Verdict::tight);
    // Not over its full width.
    EXPECT_EQ(hold(50, 83.9).verdict, Verdict::tight);
    EXPECT_EQ(hold(50, 84).verdict, Verdict::right);
    // Off it: how far.
    EXPECT_NEAR(hold(63).value, -5, 1e-4);
    EXPECT_EQ(hold(63).verdict, Verdict::tight);
    // Too far off to be its rug at all.
    EXPECT_FALSE(hold(90).there);
}

TEST(RugHold, TellsWhichLegsAreOn) {
    const auto of = [](double from) {
        return onRug(jobWith({sofaThere, rugAt(120, 60, 120, from + 30)}), "Sofa", "Ground");
    };
    EXPECT_EQ(of(22).how, SeatOnRug::How::all); // its back legs begin at 22
    EXPECT_EQ(of(22.1).how, SeatOnRug::How::front);
    EXPECT_EQ(of(22.1).legsOn, 2);
    EXPECT_EQ(of(56).how, SeatOnRug::How::some); // the front legs' 2 in, and not the front's 6
    EXPECT_EQ(of(56.1).how, SeatOnRug::How::none);
}

TEST(RugHold, AgreesWithPointsThrownAtLegs) {
    std::mt19937 random(5);
    const auto within = [&](double low, double high) {
        return low + (high - low) * (random() % 100000) / 100000.0;
    };
    Project job = jobWith({"armchair 30 x 33 x 33 at 120, 90", rugAt(100, 70, 120, 90)});
    const Piece chair = *job.scheme().byName("Armchair");
    int held = 0;
    for (int round = 0; round < 3000; ++round) {
        Pose pose;
        pose.at = {within(2000, 4000), within(1500, 3000)};
        pose.turn = Angle::degrees(within(0, 360));
        // An L, so that an edge may run between legs.
        const double w = within(1200, 3000);
        const double d = within(1000, 2400);
        const double x = within(1500, 3000);
        const double y = within(1000, 2500);
        const std::vector<Vec2> rug{
            {x, y},    {x + w, y}, {x + w, y + d / 2}, {x + w / 2, y + d / 2}, {x + w / 2, y + d},
            {x, y + d}};
        const auto on = seatOnRug(chair, pose, rug, Length::inches(2), Length::inches(6));
        int legs = 0;
        const double half = chair.size.width.mm() / 2;
        const double deep = chair.size.depth.mm() / 2;
        for (const Vec2 s : {Vec2{-1, -1}, Vec2{1, -1}, Vec2{1, 1}, Vec2{-1, 1}}) {
            bool whole = true;
            for (int i = 0; i <= 8 && whole; ++i)
                for (int k = 0; k <= 8 && whole; ++k)
                    whole = insideOutline(rug, pose.toRoom({s.x * (half - 0.01 - 50.78 * i / 8),
                                                            s.y * (deep - 0.01 - 50.78 * k / 8)}));
            legs += whole ? 1 : 0;
        }
        EXPECT_EQ(on.legsOn, legs) << round;
        held += on.legsOn == 4 ? 1 : 0;
    }
    EXPECT_GT(held, 30);
}

TEST(RugDining, KeepsADrawnChairOnIt) { // common practice: 24, better 30
    const auto past = [](double wide, double deep) {
        return all(jobWith({"dining table 72 x 36 at 120, 90", rugAt(wide, deep, 120, 90)}),
                   "rug-dining");
    };
    const auto right = past(72 + 48, 36 + 48);
    ASSERT_EQ(right.size(), 4U);
    for (const auto& [value, verdict] : right) {
        EXPECT_NEAR(value, 24, 1e-4);
        EXPECT_EQ(verdict, Verdict::right);
    }
    int tight = 0;
    for (const auto& [value, verdict] : past(72 + 48, 36 + 47.9))
        tight += verdict == Verdict::tight ? 1 : 0;
    EXPECT_EQ(tight, 2);
    // A rug that ends under the table.
    double least = 1e9;
    for (const auto& [value, verdict] : past(60, 84))
        least = std::min(least, value);
    EXPECT_NEAR(least, -6, 1e-4);
}

TEST(RugDining, OnlySidesThatSeatSomeoneCount) {
    const auto some = all(jobWith({"dining table 72 x 36 at 120, 90", "seat dining table with 2",
                                   rugAt(140, 100, 120, 90)}),
                          "rug-dining");
    EXPECT_LT(some.size(), 4U);
    EXPECT_FALSE(some.empty());
}

TEST(RugBorder, IsEightToEighteenAndEven) { // common practice
    // The room is 240 by 180.
    const auto borders = [](double left, double right, double top) {
        return all(
            jobWith({rugAt(240 - left - right, 180 - 2 * top, (left + 240 - right) / 2, 90)}),
            "rug-border");
    };
    const auto count = [](const std::vector<std::pair<double, Verdict>>& r, Verdict v) {
        return std::count_if(r.begin(), r.end(), [v](const auto& one) { return one.second == v; });
    };
    EXPECT_EQ(borders(10, 10, 10).size(), 6U); // four sides, two pairs
    EXPECT_EQ(count(borders(10, 10, 10), Verdict::right), 6);
    EXPECT_EQ(count(borders(8, 8, 18), Verdict::right), 6);
    EXPECT_EQ(count(borders(7.99, 8, 18), Verdict::tight), 1);
    EXPECT_EQ(count(borders(10, 10, 18.01), Verdict::loose), 2);
    // More than 2 in between opposite sides.
    EXPECT_EQ(count(borders(10, 12, 10), Verdict::loose), 0);
    EXPECT_EQ(count(borders(10, 12.1, 10), Verdict::loose), 1);
}

TEST(RugBorder, IsNotAskedOfARugThatIsThereForAGroup) {
    EXPECT_TRUE(all(jobWith({rugAt(96, 60, 120, 90)}), "rug-border").empty());
}

TEST(RugDoor, IsRightOnlyBelowTheUndercut) {
    // The door's undercut is 3/4; the pad of 1/4 that is counted leaves 1/2 for the rug.
    const auto door = [](const char* more) {
        return readingOf({"rug 60 x 60 called Ground at 208, 160", more}, "rug-door", "Ground",
                         "door 1");
    };
    ASSERT_TRUE(door("Ground pile 3/8").there);
    EXPECT_EQ(door("Ground pile 3/8").verdict, Verdict::right);
    EXPECT_NEAR(door("Ground pile 3/8").value, 0.625, 1e-6);
    EXPECT_EQ(door("Ground pile 1/2").verdict, Verdict::loose); // level with it
    EXPECT_EQ(door("Ground pile 1/2, on a pad 1/8").verdict, Verdict::right);
    EXPECT_NEAR(door("Ground pile 1/2, without a pad").value, 0.5, 1e-6);
    EXPECT_FALSE(readingOf({"rug 60 x 60 called Ground at 60, 60"}, "rug-door", "Ground").there);
}

TEST(RugDoor, SaysWhereThePadIsOnlyTheUsualOne) {
    const auto told = [](const char* more) {
        const auto job = jobWith({"rug 60 x 60 called Ground at 208, 160", more});
        const auto readings = readingsOf(job);
        return whyOf(*find(readings, job, "rug-door", "Ground", "door 1"), job.wording());
    };
    EXPECT_NE(told("Ground pile 3/8").find("usual pad"), std::string::npos);
    EXPECT_NE(told("Ground pile 3/4").find("usual pad"), std::string::npos);
    EXPECT_EQ(told("Ground pile 3/8, on a pad 1/4").find("usual"), std::string::npos);
    EXPECT_EQ(told("Ground pile 3/4, on a pad 1/4").find("usual"), std::string::npos);
}

TEST(RugTrip, IsAnEdgeBeforeADoorway) { // common practice
    // Door 1 is in wall C, from 206 to 238 in of the room's 240.
    const auto trip = [](const char* line, const char* more = "Ground pile 1/4") {
        return readingOf({line, more}, "rug-trip", "Ground");
    };
    EXPECT_EQ(trip("rug 60 x 40 called Ground at 200, 156").verdict, Verdict::loose);
    EXPECT_EQ(trip("rug 60 x 40 called Ground at 200, 156", "Ground taped").verdict,
              Verdict::right);
    EXPECT_NE(trip("rug 60 x 40 called Ground at 60, 60").verdict, Verdict::loose);
}

TEST(RugStairs, IsAtMostHalfAnInch) { // ADA 2010, 302.2
    const char* notes = "room Hall\nceiling 8'\nwall A 20'\nwall B 8'\nwall C 20'\n stairs 24 from "
                        "left, 36 wide, riser 7 1/2, going 10, count 13, up right\nwall D 8'\n";
    const auto stairs = [&](const char* pile) {
        return readingOf({std::string("runner 27 wide called Flight on stairs 1, pile ") + pile},
                         "rug-stairs", "Flight", nullptr, notes);
    };
    ASSERT_TRUE(stairs("3/8").there);
    EXPECT_EQ(stairs("3/8").verdict, Verdict::right);
    EXPECT_EQ(stairs("1/2").verdict, Verdict::right);
    EXPECT_EQ(stairs("9/16").verdict, Verdict::loose);
}

TEST(RugStop, EndsOnALineOfTheBuilding) { // common practice
    const char* notes =
        "room Hall\nceiling 8'\nwall A 30'\n opening 20' from left, 36 wide, 80 high\n"
        "wall B 5'\nwall C 30'\nwall D 5'\n";
    const auto stop = [&](double to) {
        const auto job = jobWith({fmt::format("rug {:.3f}in x 36in called Ground at {:.3f}in, 30in",
                                              to - 10, (to + 10) / 2)},
                                 notes);
        double least = 1e9;
        Verdict v = Verdict::note;
        for (const Reading& r : readingsOf(job))
            if (r.rule->id == "rug-stop") {
                least = r.value.value / 25.4;
                v = r.verdict;
            }
        return std::pair{least, v};
    };
    EXPECT_NEAR(stop(240).first, 0, 1e-3);
    EXPECT_EQ(stop(240).second, Verdict::right);
    EXPECT_EQ(stop(242).second, Verdict::right);
    EXPECT_EQ(stop(242.1).second, Verdict::loose);
    EXPECT_NEAR(stop(230).first, 10, 1e-3);
}

TEST(Layered, ASmallRugOnALargeOneIsKnown) {
    const auto job = jobWith({"rug 120 x 96 called Ground at 120, 90",
                              "small rug 60 x 36 called Sheepskin at 120, 90",
                              "small rug 60 x 36 called Apart mat at 40, 40"});
    const auto scene = *sceneOf(job);
    const FloorView floor(*scene);
    const auto layered = [&](const char* name) {
        for (std::size_t i = 0; i < floor.placed.size(); ++i)
            if (floor.piece(i).name == name)
                return isLayered(floor, i);
        return false;
    };
    EXPECT_TRUE(layered("Sheepskin"));
    EXPECT_FALSE(layered("Ground"));
    EXPECT_FALSE(layered("Apart mat"));
}

TEST(RugReadings, AreToldWithNothingLeftOpen) {
    const char* notes =
        "room Hall\nceiling 8'\nwall A 30'\n opening 20' from left, 36 wide, 80 high\nwall B 5'\n"
        "wall C 30'\n door 3' from left, 30 wide, 80 high, hinge left, swings in, undercut 1/4, "
        "leads to closet\nwall D 5'\n";
    int told = 0;
    for (const auto& lines : std::vector<std::vector<std::string>>{
             {"rug called Ground cut to the room, 10 off the walls, ending at opening 1"},
             {"rug called Ground cut to the room, 2 off the walls"},
             {"rug 300 x 40 called Ground at 160, 32"},
             {"rug 60 x 40 called Ground at 300, 34"},
             {"sofa 60 x 30 at 60, 20", "rug 60 x 30 called Ground at 60, 44"}}) {
        const auto job = jobWith(lines, notes);
        for (const Reading& r : readingsOf(job))
            if (r.rule->id.starts_with("rug-")) {
                const auto words = sentenceOf(r, job.wording()) + titleOf(r, job.wording());
                EXPECT_EQ(words.find('{'), std::string::npos) << words;
                ++told;
            }
    }
    EXPECT_GT(told, 15);
}

TEST(RugRemedies, MendWithoutACostInWhatIsGuarded) {
    const auto job = jobWith({sofaThere, rugAt(90, 60, 120, 96)});
    const auto scene = *sceneOf(job);
    const auto readings = readingsOf(job);
    const auto* r = find(readings, job, "rug-hold", "Sofa");
    ASSERT_NE(r, nullptr);
    ASSERT_TRUE(r->toMend());
    const auto remedy = remedyFor(*r, job, *scene, readings);
    ASSERT_TRUE(remedy);
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto now = judge(*after->scene, *job.library.book, job.judgement);
    EXPECT_EQ(find(now, *after->project, "rug-hold", "Sofa")->verdict, Verdict::right);
    EXPECT_TRUE(readLine(remedy->line, job)) << remedy->line;
}
