// What comes new, or is turned, comes to stand where it is clear of walls, of doors and of what is
// there; against places worked by hand.
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "geometry/gap.h"
#include "jobs.h"
#include "scheme/on_wall.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

double asInches(double mm) {
    return mm / 25.4;
}
Project said(Project job, const std::string& line) {
    const auto heard = readLine(line, job);
    if (!heard)
        throw std::runtime_error(line + ": " + heard.problem().text());
    auto done = apply(job, heard->edit);
    if (!done)
        throw std::runtime_error(line + ": " + done.problem().text());
    return *done->project;
}
Length through(const Project& job, const char* name) {
    return throughWalls(**sceneOf(job), job.scheme().byName(name)->id);
}
std::vector<std::string> toMend(const Project& job, const char* rule) {
    std::vector<std::string> out;
    for (const Reading& r : readingsOf(job))
        if (r.rule->id == std::string(rule) && r.toMend())
            out.push_back(job.scheme().byId(r.piece)->name);
    return out;
}
/// 15 by 13 feet, a fire in B.
const char* fireRoom() {
    return "room Fire\nceiling 8'\nwall A 15'\nwall B 13'\n fireplace 4' 6\" from left, 4' wide, "
           "14 "
           "deep\nwall C 15'\n door 6' from left, 36 wide, 80 high, hinge left, swings in\nwall D "
           "13'\n";
}

} // namespace

TEST(ARug, LiesTheWayThatKeepsItInTheRoom) {
    // Five by sixteen feet: a runner lies along the hall, whichever figure is said first.
    const auto hall = jobWith({}, "room Hall\nceiling 8'\nwall A 5'\nwall B 16'\nwall C 5'\nwall D "
                                  "16'\n");
    for (const char* line :
         {"rug 30 x 120 in the middle of the room", "rug 120 x 30 in the middle of the room"}) {
        const auto job = said(hall, line);
        const Size size = job.scheme().byName("Rug")->size;
        EXPECT_NEAR(asInches(size.width.mm()), 30, 1e-6) << line;
        EXPECT_NEAR(asInches(size.depth.mm()), 120, 1e-6) << line;
        EXPECT_EQ(through(job, "Rug"), Length{}) << line;
    }
}

TEST(ARug, UnderABedAtItsWallLiesUnderItsFootTheWayThatFits) {
    // 15 feet from the bed's wall to the other: 84 less 8 of bed and 120 of rug are more.
    auto job = jobWith({"queen bed 62 x 84 against wall A, centred on wall A"}, plainNotes());
    job = said(job, "rug 96 x 120 under queen bed");
    const Size size = job.scheme().byName("Rug")->size;
    EXPECT_NEAR(asInches(size.width.mm()), 120, 1e-6);
    EXPECT_NEAR(asInches(size.depth.mm()), 96, 1e-6);
    EXPECT_LT(through(job, "Rug").mm(), 1);
}

TEST(ATurn, TakesAChairOutOfItsCornerAsFarAsItMust) {
    auto job = jobWith({"armchair 32 x 36 in corner AB", "side table 20 x 20 left of armchair"},
                       fireRoom());
    const Vec2 was = poseOf(job, "Armchair").at;
    const Vec2 beside = poseOf(job, "Side table").at;
    job = said(job, "turn armchair 45");
    EXPECT_EQ(through(job, "Armchair"), Length{});
    const double moved = asInches(norm(poseOf(job, "Armchair").at - was));
    // Half its diagonal is 24 inches, and it stood 16 and 18 off; its table, turned with it, wants
    // room too.
    EXPECT_GT(moved, 5);
    EXPECT_LT(moved, 20);
    const auto alone =
        said(jobWith({"armchair 32 x 36 in corner AB"}, fireRoom()), "turn armchair 45");
    EXPECT_LT(asInches(norm(poseOf(alone, "Armchair").at - was)), 14);
    EXPECT_GT(norm(poseOf(job, "Side table").at - beside), 1) << "its table goes along";
}

TEST(ATurn, InTheMiddleOfTheRoomMovesNothing) {
    auto job = jobWith({"armchair 32 x 36 at 7', 6'"}, fireRoom());
    const Vec2 was = poseOf(job, "Armchair").at;
    job = said(job, "turn armchair 45");
    EXPECT_NEAR(norm(poseOf(job, "Armchair").at - was), 0, 1e-6);
}

TEST(AGallery, HangsBesideTheDoorAndNotOverIt) {
    auto job = jobWith({}, fireRoom());
    // 76 by 38: six feet are free left of the door, and six right of it.
    job = said(job, "gallery of six pictures 20 x 16 on wall C");
    const auto scene = *sceneOf(job);
    for (const Piece& p : job.scheme().pieces) {
        if (p.isGroup())
            continue;
        const double low = asInches(scene->byId(p.id)->pose.at.x - p.size.width.mm() / 2);
        const double high = asInches(scene->byId(p.id)->pose.at.x + p.size.width.mm() / 2);
        EXPECT_TRUE(high <= 72 + 0.1 || low >= 108 - 0.1) << p.name << " " << low << " " << high;
    }
    // Said to be in the middle, it is there all the same.
    auto middle = said(jobWith({}, fireRoom()),
                       "gallery of six pictures 20 x 16 on wall C, centred on wall C");
    const auto there = *sceneOf(middle);
    const Piece& group = middle.scheme().pieces.back();
    ASSERT_TRUE(group.isGroup());
    EXPECT_NEAR(asInches(there->byId(group.id)->pose.at.x), 90, 1e-6);
}

TEST(WhatIsLow, GoesUnderWhatIsOpenBelow) {
    const auto clash = [](const char* what) {
        return toMend(
            jobWith({"console 54 x 14 x 32 against wall A, centred on wall A", what}, fireRoom()),
            "clash");
    };
    EXPECT_TRUE(clash("storage basket 12 x 10 x 9 under console").empty());
    EXPECT_FALSE(clash("trunk 12 x 10 x 30 under console").empty())
        << "it is higher than it is open";
    // Two in one place are in each other's, open or not.
    const auto two = toMend(jobWith({"console 54 x 14 x 32 against wall A, centred on wall A",
                                     "storage basket 12 x 10 x 9 called One under console",
                                     "storage basket 12 x 10 x 9 called Two under console"},
                                    fireRoom()),
                            "clash");
    EXPECT_FALSE(two.empty());
}

TEST(BesideADoor, OneAtItsWallGoesAlongTheWall) {
    auto job = jobWith({"bookcase 30 x 12 x 72 against wall C, 10 from left corner"}, fireRoom());
    job = said(job, "bookcase 6 from door 1");
    const auto gap = gapBetween((*sceneOf(job))->fromAbove(1)->shape,
                                stretch({job.room->walls[2].at(Length::inches(72)),
                                         job.room->walls[2].at(Length::inches(108))}));
    EXPECT_NEAR(asInches(gap.apart.mm()), 6, 0.05); // its corner is a little round
    // Its back is at the wall still.
    EXPECT_NEAR(asInches(dot(poseOf(job, "Bookcase").at - job.room->walls[2].start,
                             job.room->walls[2].inward())),
                6, 1e-6);
}

TEST(BeforeTheFire, ASeatLooksAtIt) {
    for (const char* line :
         {"sofa in front of fireplace", "sofa 80 in front of fireplace", "sofa 80 off fireplace"}) {
        const auto job = said(jobWith({}, fireRoom()), line);
        const Pose pose = poseOf(job, "Sofa");
        // The fire is in B, to the right.
        EXPECT_NEAR(pose.front().x, 1, 1e-6) << line;
    }
    // One that looks at it goes on doing so.
    auto job = jobWith({"sofa 84 x 36 facing fireplace"}, fireRoom());
    job = said(job, "sofa 60 off fireplace");
    EXPECT_NEAR(poseOf(job, "Sofa").front().x, 1, 1e-3);
    // To the breast's face, from the sofa's front.
    EXPECT_NEAR(asInches(poseOf(job, "Sofa").at.x), 180 - 14 - 60 - 18, 0.2);
}

TEST(BehindADesk, AtAWallIsWhereOneSits) {
    auto job = jobWith({"desk 54 x 26 against wall D, centred on wall D"}, fireRoom());
    job = said(job, "desk chair behind desk");
    EXPECT_EQ(through(job, "Desk chair"), Length{});
    EXPECT_GT(asInches(poseOf(job, "Desk chair").at.x), 26);
    EXPECT_NEAR(poseOf(job, "Desk chair").front().x, -1, 1e-6) << "it looks at its desk";
    // With room behind it that is where it goes.
    auto free = jobWith({"desk 54 x 26 at 7', 6'"}, fireRoom());
    const Pose desk = poseOf(free, "Desk");
    free = said(free, "desk chair behind desk");
    EXPECT_LT(dot(poseOf(free, "Desk chair").at - desk.at, desk.front()), 0);
}

TEST(ADoorsLeaf, IsKeptFree) {
    // 36 of leaf: what would stand within its sweep comes to stand outside it.
    const auto job = said(jobWith({}, fireRoom()), "armchair 30 x 30 facing wall A");
    const Piece& p = job.scheme().pieces.front();
    EXPECT_EQ(doorwayAt(**sceneOf(job), p.id), "");
}
