// What is on one side of a piece, and how far: sides are as one faces it, as in placing.
#include "jobs.h"
#include "judge/ahead.h"
#include "scheme/resolve.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// How far the first thing is on a side of a piece, in inches, and what it is; nothing when none.
std::pair<double, Target> firstOn(const Project& job, const char* name, Side side) {
    const auto scene = *sceneOf(job);
    const Piece& p = *job.scheme().byName(name);
    const FloorView view(*scene);
    const auto ahead = aheadOf(view, p, *scene->byId(p.id), side);
    if (!ahead.stop)
        return {-1, {}};
    return {ahead.stop->ahead / 25.4, ahead.stop->what};
}

} // namespace

TEST(Ahead, LeftAndRightAreAsOneFacesThePiece) {
    // Facing the bookcase one faces wall A: B is right and D is left.
    const auto job = jobWith({"bookcase 36 x 12 x 78 against wall A, 8 from corner AB"});
    const auto [right, wallB] = firstOn(job, "Bookcase", Side::right);
    EXPECT_NEAR(right, 8, 1e-6);
    EXPECT_EQ(wallB.index, 1);
    const auto [left, wallD] = firstOn(job, "Bookcase", Side::left);
    EXPECT_NEAR(left, 240 - 8 - 36, 1e-6);
    EXPECT_EQ(wallD.index, 3);
    EXPECT_NEAR(firstOn(job, "Bookcase", Side::front).first, 180 - 12, 1e-6);
}

TEST(Ahead, WhatIsPlacedOnASideIsTheFirstThingThere) {
    for (const auto& [words, side] :
         {std::pair{"left", Side::left}, std::pair{"right", Side::right}}) {
        const auto job =
            jobWith({"sofa at 10', 7' 6\"", std::string("stool 10 ") + words + " of sofa"});
        const auto [gap, what] = firstOn(job, "Sofa", side);
        EXPECT_NEAR(gap, 10, 1e-6) << words;
        EXPECT_EQ(what.piece, job.scheme().byName("Stool")->id) << words;
    }
}

TEST(Ahead, ChairsDrawnUpToATableAreNotInTheWay) {
    const auto job = jobWith({"dining table 72 x 36 at 10', 7' 6\"", "seat dining table with 6"});
    EXPECT_NEAR(firstOn(job, "Dining table", Side::front).first, 90 - 18, 1e-6);
}
