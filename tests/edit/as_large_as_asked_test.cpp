// What comes to stand or hang as large, as high and as far off as its place asks for where nothing
// is said: curtains and blinds by their windows, lights over tables, low tables before seats,
// chairs at tables by a wall. Against figures worked by hand from the room's own, and the trade's
// bands.
#include "edit/after.h"
#include "geometry/gap.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

constexpr double in = 25.4;

/// A room with one window, so wide and high over its sill, inches.
std::string withWindow(double wide, double high, double sill, double ceiling = 108) {
    return fmt::format(
        "room Window room\nunits inches\nceiling {}\nwall A 240\n window 60 from left, {} "
        "wide, {} high, sill {}\nwall B 180\nwall C 240\n door 20 from left, 32 wide, 80 "
        "high\nwall D 180\n",
        ceiling, wide, high, sill);
}

const Piece& only(const Project& job, const char* kind) {
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->id == kind)
            return p;
    throw std::runtime_error(kind);
}

double foot(const Project& job, const Piece& p) {
    const auto scene = *sceneOf(job);
    return (scene->byId(p.id)->pose.at.y - p.size.height.mm() / 2) / in;
}

} // namespace

TEST(AtWindows, ABlindIsAsLargeAsItsWindowAndOverItsSill) {
    for (const double wide : {24.0, 40.0, 72.0, 100.0})
        for (const double sill : {0.0, 30.0, 42.0})
            for (const char* line : {"roman blind on window 1", "roller blind on window 1"}) {
                const auto notes = withWindow(wide, 48, sill);
                const auto job = after(jobWith({}, notes.c_str()), line);
                const Piece& blind = job.scheme().pieces.front();
                EXPECT_NEAR(blind.size.width.inInches(), wide, 1e-6) << line;
                EXPECT_NEAR(blind.size.height.inInches(), 48, 1e-6) << line;
                EXPECT_NEAR(foot(job, blind), sill, 1e-6) << line;
            }
    // A size that is said is kept.
    const auto notes = withWindow(60, 48, 30);
    const auto job = after(jobWith({}, notes.c_str()), "roman blind 70 x 50 on window 1");
    EXPECT_NEAR(job.scheme().pieces.front().size.width.inInches(), 70, 1e-6);
}

TEST(AtWindows, CurtainsGoPastItAndHangFromOverItToTheFloor) { // 8 to 12 past, 4 or more over
    for (const double wide : {24.0, 36.0, 48.0, 60.0, 72.0, 96.0})
        for (const double high : {40.0, 60.0, 70.0})
            for (const double ceiling : {96.0, 108.0, 132.0}) {
                const double sill = 20;
                if (sill + high > ceiling - 6)
                    continue;
                const auto notes = withWindow(wide, high, sill, ceiling);
                const auto job = after(jobWith({}, notes.c_str()), "curtains on window 1");
                const Piece& p = only(job, "curtains");
                const double past = (p.size.width.inInches() - wide) / 2;
                EXPECT_GE(past, 8 - 1e-6) << wide;
                EXPECT_LE(past, 12 + 1e-6) << wide;
                const double top = foot(job, p) + p.size.height.inInches();
                EXPECT_LE(top, ceiling) << notes;
                EXPECT_GE(top, std::min(sill + high + 4, ceiling - 1) - 1e-6) << notes;
                EXPECT_NEAR(foot(job, p), 0.5, 1e-6);
            }
}

TEST(OverTables, ALightHangsAsTheRuleHasIt) { // 30 to 36 under 8 ft, 3 more for each foot over that
    for (const double ceiling : {96.0, 108.0, 120.0, 144.0})
        for (const char* light : {"pendant", "chandelier"}) {
            const auto notes = withWindow(48, 48, 30, ceiling);
            const auto job = after(
                jobWith({"dining table 72 x 38 x 30 in the middle of the room"}, notes.c_str()),
                fmt::format("{} over the table", light));
            const auto scene = *sceneOf(job);
            const Piece& p = job.scheme().pieces.back();
            const double over = bottomOf(*scene, p, *scene->byId(p.id)).inInches() - 30;
            const double more = (ceiling - 96) / 12 * 3;
            EXPECT_GE(over, 30 + more - 0.51) << light << ceiling;
            EXPECT_LE(over, 36 + more + 0.51) << light << ceiling;
        }
    // A height that is said is kept, and over a low table nothing is meant by it.
    const auto job = jobWith({"dining table 72 x 38 x 30 in the middle of the room",
                              "pendant over dining table, bottom at 70"});
    const auto scene = *sceneOf(job);
    const Piece& p = job.scheme().pieces.back();
    EXPECT_NEAR(bottomOf(*scene, p, *scene->byId(p.id)).inInches(), 70, 1e-6);
    const auto low = jobWith(
        {"coffee table 40 x 24 x 17 in the middle of the room", "pendant over coffee table"});
    EXPECT_TRUE(std::none_of(low.scheme().pieces.back().ties.begin(),
                             low.scheme().pieces.back().ties.end(),
                             [](const Tie& t) { return t.kind == Tie::Kind::above; }));
}

TEST(BeforeSeats, ALowTableStandsWhereKneesAndCupsHaveIt) { // 12 to 18
    for (const char* table : {"coffee table", "round coffee table"})
        for (const char* seat : {"sofa", "loveseat"}) {
            const auto job = after(jobWith({fmt::format("{} against wall A", seat)}),
                                   fmt::format("{} in front of {}", table, seat));
            const auto scene = *sceneOf(job);
            const auto& all = job.scheme().pieces;
            const double gap =
                gapBetween(scene->fromAbove(all[0].id)->shape, scene->fromAbove(all[1].id)->shape)
                    .apart.inInches();
            EXPECT_GE(gap, 12) << table << " " << seat;
            EXPECT_LE(gap, 18) << table << " " << seat;
        }
    // What is said is kept, and what stands elsewhere touches.
    const auto near = after(jobWith({"sofa against wall A"}), "coffee table 0 in front of sofa");
    const auto scene = *sceneOf(near);
    EXPECT_NEAR(gapBetween(scene->fromAbove(1)->shape, scene->fromAbove(2)->shape).apart.mm(), 0,
                1e-6);
}

TEST(AtTables, ChairsKeepOutOfTheWallTheTableStandsAt) {
    for (const char* wall : {"A", "B", "C", "D"})
        for (const int chairs : {1, 2, 3, 4}) {
            const auto job = after(jobWith({}), fmt::format("square table 36 x 36 against wall {}, "
                                                            "centred on wall {}, with {} chairs",
                                                            wall, wall, chairs));
            const auto scene = *sceneOf(job);
            int seated = 0;
            for (const Piece& p : job.scheme().pieces) {
                if (p.kind->role != Role::diningChair)
                    continue;
                ++seated;
                for (const Vec2 c : outline(scene->fromAbove(p.id)->shape))
                    for (const Wall& w : job.room->walls)
                        EXPECT_GE(dot(c - w.start, w.inward()), -0.5) << wall << chairs << p.name;
            }
            EXPECT_EQ(seated, chairs);
        }
    // In the open, they sit as ever: two face each other.
    const auto job =
        after(jobWith({}), "dining table 60 x 36 in the middle of the room, with 2 chairs");
    const auto scene = *sceneOf(job);
    const auto& all = job.scheme().pieces;
    EXPECT_NEAR(
        dot(scene->fromAbove(all[1].id)->pose.front(), scene->fromAbove(all[2].id)->pose.front()),
        -1, 1e-9);
}

TEST(AcrossFrom, ASeatHasItsBackToTheFarWallWhereTheRoomIsNotDeep) {
    for (const double deep : {120.0, 144.0, 168.0, 240.0}) {
        const auto notes = fmt::format("room Fire room\nunits inches\nceiling 96\nwall A 200\nwall "
                                       "B {0}\nwall C 200\n fireplace 70 "
                                       "from left, 60 wide, 14 deep\nwall D {0}\n",
                                       deep);
        const auto job =
            after(jobWith({}, notes.c_str()), "sofa 84 x 36 x 34 opposite the fireplace");
        const auto scene = *sceneOf(job);
        const Placed& p = *scene->fromAbove(1);
        // It looks at the fire, in line with it.
        const Wall& c = job.room->walls[2];
        EXPECT_NEAR(dot(p.pose.front(), -c.inward()), 1, 1e-9) << deep;
        EXPECT_NEAR(dot(p.pose.at - c.start, c.along()), 100 * in, 0.1) << deep;
        const Wall& a = job.room->walls[0];
        const double behind = dot(p.pose.at - a.start, a.inward()) - 18 * in;
        if (deep - 36 <= 141)
            EXPECT_NEAR(behind, 0, 0.1) << deep;
        else
            EXPECT_GT(behind, 300) << deep << ": as far before it as one talks";
    }
}

TEST(BesideThings, WhatFitsOnNeitherSideInLineStandsFurtherForward) {
    // An armchair near the corner, turned to the room: a small table fits beside it, off the walls.
    const auto job = jobWith({"armchair 30 x 33 x 33 in corner AB, at an angle"});
    const auto now = after(job, "side table 20 x 20 x 22 beside armchair");
    const auto scene = *sceneOf(now);
    const Placed& table = *scene->fromAbove(2);
    for (const Vec2 c : outline(table.shape))
        for (const Wall& w : now.room->walls)
            EXPECT_GE(dot(c - w.start, w.inward()), -0.5);
    EXPECT_LT(gapBetween(table.shape, scene->fromAbove(1)->shape).apart.mm(), 10);
    EXPECT_NEAR(gapBetween(table.shape, scene->fromAbove(1)->shape).depth.mm(), 0, 1);
}
