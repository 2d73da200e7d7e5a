// The plane of a wall: where things lie on it, what stands before it, stairs and ceilings.
#include "jobs.h"
#include "scheme/on_wall.h"

#include <cmath>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* fullNotes() {
    return "room Full\nceiling 9'\nskirting 6\nchair rail 32\npicture rail 84\nwall A 16'\n  "
           "window 40 "
           "from left, 48 wide, 50 high, sill 30\n  outlet 20 from left, 14 up\nwall B 12'\n  "
           "chimney 40 "
           "from left, 60 wide, 14 deep\nwall C 16'\n  door 20 from left, 34 wide, 80 high, hinge "
           "left\n"
           "wall D 12'\n  radiator 30 from left, 40 wide, 6 deep, 24 high\n";
}
Box inches(const std::optional<Box>& b) {
    Box out;
    out.include(b->low / 25.4);
    out.include(b->high / 25.4);
    return out;
}
Target of(Target::Is is, int index = 0) {
    Target t;
    t.is = is;
    t.index = index;
    return t;
}

} // namespace

TEST(BoxOn, HasOpeningsRailsAndTheWallItself) {
    const auto job = jobWith({}, fullNotes());
    const auto scene = *sceneOf(job);
    const auto window = inches(boxOn(of(Target::Is::window, 1), 0, *scene));
    EXPECT_NEAR(window.low.x, 40, 1e-9);
    EXPECT_NEAR(window.high.x, 88, 1e-9);
    EXPECT_NEAR(window.low.y, 30, 1e-9);
    EXPECT_NEAR(window.high.y, 80, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::door, 1), 2, *scene)).high.y, 80, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::pictureRail), 1, *scene)).low.y, 84, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::chairRail), 1, *scene)).low.y, 32, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::skirting), 1, *scene)).low.y, 6, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::ceiling), 1, *scene)).low.y, 108, 1e-9);
    EXPECT_NEAR(inches(boxOn(wallTarget(0), 0, *scene)).high.x, 192, 1e-9);
    const auto radiator = inches(boxOn(targetOf(job.room->fixtures[2]), 3, *scene));
    EXPECT_NEAR(radiator.low.x, 30, 1e-9);
    EXPECT_NEAR(radiator.size().y, 24, 1e-9);
    EXPECT_FALSE(boxOn({}, 0, *scene));
    EXPECT_FALSE(boxOn(of(Target::Is::window, 9), 0, *scene));
}

TEST(BoxOn, CornersAreTheEndsOfTheWallAndNoOthers) {
    const auto job = jobWith({}, fullNotes());
    const auto scene = *sceneOf(job);
    EXPECT_NEAR(boxOn(of(Target::Is::corner, 1), 1, *scene)->low.x, 0, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::corner, 2), 1, *scene)).low.x, 144, 1e-9);
    EXPECT_NEAR(inches(boxOn(of(Target::Is::corner, 0), 3, *scene)).low.x, 144, 1e-9)
        << "round the end";
    EXPECT_FALSE(boxOn(of(Target::Is::corner, 0), 1, *scene));
}

TEST(BoxOn, FurnitureIsSeenStraightFromBefore) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, 30 from wall B"}, fullNotes());
    const auto scene = *sceneOf(job);
    const auto b = inches(boxOn(pieceTarget(job.scheme().byName("Sofa")->id), 2, *scene));
    EXPECT_NEAR(b.low.x, 30, 1e-6) << "wall C begins at wall B";
    EXPECT_NEAR(b.high.x, 114, 1e-6);
    EXPECT_NEAR(b.high.y, 34, 1e-6);
    // On a side table a lamp is seen from the table's top up.
    const auto lamp =
        jobWith({"side table 24 x 24 x 25 at 8', 2'", "table lamp at 8', 2'"}, fullNotes());
    const auto on = *sceneOf(lamp);
    const auto l = inches(boxOn(pieceTarget(lamp.scheme().byName("Table lamp")->id), 0, *on));
    EXPECT_NEAR(l.low.y, 25, 1e-6);
    EXPECT_NEAR(l.high.y, 25 + 27, 1e-6);
}

TEST(Standing, IsFromTheWallOutAndWithinFiveFeet) {
    const auto job = jobWith({"sofa 60 x 30 x 34 against wall A, gap 20, centred on wall A",
                              "low bookcase 40 x 10 x 30 against wall A, centred on wall A",
                              "armchair at 8', 9'", "rug 60 x 40 at 8', 3'"},
                             fullNotes());
    const auto scene = *sceneOf(job);
    const auto all = standingBefore(*scene, 0);
    std::vector<std::string> names;
    for (const auto& s : all)
        names.push_back(FloorView(*scene).piece(s.index).name);
    EXPECT_EQ(names, (std::vector<std::string>{"Rug", "Low bookcase", "Sofa"}));
    EXPECT_NEAR(all[1].off, 0, 1e-6);
    EXPECT_NEAR(all[2].off, 20 * 25.4, 1e-6);
}

TEST(FaceOut, IsTheBreastsWhereAThingLiesWhollyBeforeIt) {
    const auto job = jobWith({}, fullNotes());
    const auto at = [&](double left, double right) {
        return faceOut(*job.room, 1, left * 25.4, right * 25.4).inInches();
    };
    EXPECT_NEAR(at(50, 90), 14, 1e-9);
    EXPECT_NEAR(at(40, 100), 14, 1e-9);
    EXPECT_NEAR(at(30, 90), 0, 1e-9) << "half beside it";
    EXPECT_NEAR(at(110, 130), 0, 1e-9);
}

TEST(WallBehind, IsThatOfItsTieOrTheNearestAtItsBack) {
    const auto job =
        jobWith({"sofa 60 x 30 x 34 against wall B, centred on wall B",
                 "armchair called Loose at 3', 6', turned 270", "bench called Middle at 8', 6'"},
                fullNotes());
    const auto scene = *sceneOf(job);
    EXPECT_EQ(wallBehind(*scene, job.scheme().byName("Sofa")->id), 1);
    EXPECT_EQ(wallBehind(*scene, job.scheme().byName("Loose")->id), 3) << "its back is to wall D";
    EXPECT_EQ(wallBehind(*scene, 999), std::nullopt);
}

TEST(Stairs, TheNosingLineClimbsByRiserOverGoingAndIsLevelPastTheTop) {
    Fixture f;
    f.left = Length::inches(20);
    f.width = Length::inches(90);
    f.risers = 9;
    f.riser = Length::inches(7.5);
    f.going = Length::inches(10);
    const auto at = [&](double s) { return nosingAt(f, s * 25.4) / 25.4; };
    EXPECT_NEAR(at(20), 7.5, 1e-9) << "the first nosing is over the first riser";
    EXPECT_NEAR(at(60), 7.5 * 5, 1e-9);
    EXPECT_NEAR(at(100), 7.5 * 9, 1e-9) << "the last one";
    EXPECT_NEAR(at(140), 7.5 * 9, 1e-9);
    EXPECT_NEAR(nosingSlope(f, 60 * 25.4), 0.75, 1e-9);
    EXPECT_EQ(nosingSlope(f, 120 * 25.4), 0);
    f.upRight = false;
    EXPECT_NEAR(at(110), 7.5, 1e-9) << "climbing to the left it begins at the right";
    EXPECT_NEAR(nosingSlope(f, 60 * 25.4), -0.75, 1e-9);
}

TEST(Ceiling, FollowsASlopeOverItsGableWall) {
    const auto job =
        jobWith({}, "room Loft\nceiling 9'\nslope wall A, knee 4', full at 5'\nwall A 12'\nwall B "
                    "14'\nwall C 12'\nwall D 14'\n");
    const auto at = [&](int wall, double s) {
        return ceilingOver(*job.room, wall, s * 25.4) / 25.4;
    };
    EXPECT_NEAR(at(0, 60), 48, 1e-6) << "the knee wall";
    EXPECT_NEAR(at(1, 0), 48, 1e-6) << "wall B rises from the knee";
    EXPECT_NEAR(at(1, 30), 78, 1e-6);
    EXPECT_NEAR(at(1, 100), 108, 1e-6);
    // What hangs too high under the slope is told.
    const auto hung =
        jobWith({"picture 20 x 20 on wall B, at 20, 80"},
                "room Loft\nceiling 9'\nslope wall A, knee 4', full at 5'\nwall A 12'\nwall B "
                "14'\nwall C 12'\nwall D 14'\n");
    const auto all = readingsOf(hung);
    ASSERT_NE(find(all, hung, "inside", "Picture"), nullptr);
}

TEST(OffWall, IsOutOfTheFaceIntoTheRoom) {
    const auto job = jobWith({}, fullNotes());
    std::mt19937 random(2);
    std::uniform_real_distribution<double> at(0, 1);
    for (const Wall& w : job.room->walls)
        for (int i = 0; i < 20; ++i) {
            const double s = at(random) * w.length().mm();
            const double out = 10 + at(random) * 500;
            const Vec2 p = offWall(w, s, Length::millimetres(out));
            EXPECT_NEAR(dot(p - w.start, w.along()), s, 1e-6);
            EXPECT_NEAR(dot(p - w.start, w.inward()), out, 1e-6);
        }
}

TEST(GroupBox, IsRoundItsMembersWhereTheirOffsetsPutThem) {
    const auto job = jobWith({"picture 10 x 20 on wall C called One, at 40, 60",
                              "picture 30 x 10 on wall C called Two, at 80, 50",
                              "group One and Two called Pair"},
                             fullNotes());
    const auto b = groupBox(job.scheme(), job.scheme().byName("Pair")->id);
    EXPECT_NEAR(b.size().x / 25.4, 60, 1e-9) << "35 to 95";
    EXPECT_NEAR(b.size().y / 25.4, 25, 1e-9) << "45 to 70";
    EXPECT_NEAR(norm(b.centre()), 0, 1e-9);
    EXPECT_TRUE(groupBox(job.scheme(), 12345).empty());
}

TEST(StandingBefore, EndsFiveFeetFromTheWall) {
    const auto job = jobWith({"stool 18 x 18 called Nigh, 59 from wall A, 40 from wall D",
                              "stool 18 x 18 called Far, 61 from wall A, 80 from wall D"});
    const auto scene = *sceneOf(job);
    const auto all = standingBefore(*scene, 0);
    ASSERT_EQ(all.size(), 1U);
    EXPECT_EQ(FloorView(*scene).piece(all[0].index).name, "Nigh");
}

TEST(Stairs, BeginAStepBeforeTheirLowestNosing) {
    const auto job =
        jobWith({}, "room S\nceiling 9'\nwall A 16'\n  stairs 40 from left, 36 wide, riser 7, "
                    "going 10, count 9, up right\nwall B 12'\nwall C 16'\nwall D 12'\n");
    const Fixture* stairs = stairsOn(*job.room, 0);
    ASSERT_NE(stairs, nullptr);
    EXPECT_TRUE(overStairs(*stairs, 29 * 25.4)) << "11 in before it a foot stands on them already";
    EXPECT_FALSE(overStairs(*stairs, 27 * 25.4));
}
