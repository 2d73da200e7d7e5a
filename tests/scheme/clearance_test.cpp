// How far a piece is from what is nearest, each way: worked out by hand.
#include "jobs.h"
#include "scheme/clearance.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// The one that goes that way, in inches; -1 when there is none.
double toward(const std::vector<Clearance>& all, Vec2 way) {
    for (const Clearance& c : all)
        if (dot(unit(c.to - c.from), way) > 0.99)
            return c.apart().mm() / 25.4;
    return -1;
}

std::vector<Clearance> about(const Project& job, const char* name) {
    const auto scene = *sceneOf(job);
    const Piece& p = *job.scheme().byName(name);
    return p.onWall() ? clearancesAbout(WallsView(*scene), p.id)
                      : clearancesAbout(FloorView(*scene), p.id);
}

} // namespace

TEST(Clearance, OfAPieceAloneIsToTheWalls) {
    // 84 x 36 about 96, 96 in a room of 240 x 180.
    const auto all = about(jobWith({"sofa 84 x 36 at 8', 8'"}), "Sofa");
    ASSERT_EQ(all.size(), 4U);
    EXPECT_NEAR(toward(all, {-1, 0}), 54, 1e-6);
    EXPECT_NEAR(toward(all, {1, 0}), 102, 1e-6);
    EXPECT_NEAR(toward(all, {0, -1}), 78, 1e-6);
    EXPECT_NEAR(toward(all, {0, 1}), 66, 1e-6);
}

TEST(Clearance, IsToTheNeighbourThatIsMetFirst) {
    // Its near edge is at 146, the end of the sofa at 138.
    const auto all = about(
        jobWith({"sofa 84 x 36 at 96, 96", "trunk 20 x 20 at 156, 106", "rug 96 x 72 at 60, 40"}),
        "Sofa");
    EXPECT_NEAR(toward(all, {1, 0}), 156 - 10 - 138, 1e-6);
    EXPECT_NEAR(toward(all, {0, -1}), 78, 1e-6) << "a rug is not in the way";
    // One that lies beside the way is not met.
    const auto by = about(jobWith({"sofa 84 x 36 at 96, 96", "trunk 20 x 20 at 156, 130"}), "Sofa");
    EXPECT_NEAR(toward(by, {1, 0}), 102, 1e-6);
}

TEST(Clearance, OfATurnedPieceIsFromItsCorner) {
    // A square of 40 with corners rounded by 1/2, turned by 45 degrees: its corner is
    // 20 sqrt 2 - (sqrt 2 - 1) / 2 from its middle.
    const auto all = about(jobWith({"bookcase 40 x 40 at 96, 96, turned 45"}), "Bookcase");
    const double reach = 20 * std::sqrt(2.0) - (std::sqrt(2.0) - 1) / 2;
    EXPECT_NEAR(toward(all, {-1, 0}), 96 - reach, 0.01 / 25.4);
    EXPECT_NEAR(toward(all, {0, -1}), 96 - reach, 0.01 / 25.4);
}

TEST(Clearance, BetweenTwoRoundsIsAlongTheWayAndNotTheShortest) {
    // Rounds of 40 and 20, their middles 60 apart along and 12 across:
    // 60 - sqrt(30^2 - 12^2) by the circles grown together.
    const auto all = about(jobWith({"round table 40 called Larger at 80, 90",
                                    "round side table 20 called Smaller at 140, 102"}),
                           "Larger");
    EXPECT_NEAR(toward(all, {1, 0}), 60 - std::sqrt(900.0 - 144.0), 0.01 / 25.4);
}

TEST(Clearance, OnAWallIsToCornersNeighboursAndWhatStandsBelow) {
    // Wall B is 180 long and 96 high.
    const auto all = about(jobWith({"sideboard 60 x 18 x 34 against wall B, centred on wall B",
                                    "picture 30 x 20 on wall B, at 90, 60",
                                    "small picture 10 x 10 on wall B, at 130, 60"}),
                           "Picture");
    EXPECT_NEAR(toward(all, {-1, 0}), 75, 1e-6) << "to the left corner";
    EXPECT_NEAR(toward(all, {1, 0}), 125 - 105, 1e-6) << "to the other picture";
    EXPECT_NEAR(toward(all, {0, 1}), 96 - 70, 1e-6) << "to the ceiling";
    EXPECT_NEAR(toward(all, {0, -1}), 50 - 34, 1e-6) << "to the sideboard's top";
}
