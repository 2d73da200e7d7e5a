// Rows spaced anew, lights over what they are said above, how high a thing hangs, and cloth for
// curtains; figures worked by hand.
#include "spoken_to.h"

#include <algorithm>
#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project islandJob() {
    return jobWith(
        {"kitchen island 84 x 40, 60 from wall D", "three counter stools at Kitchen island"});
}
/// How far apart the first and the last of the stools are, in inches.
double stoolsSpan(const Project& job) {
    return norm(poseOf(job, "Counter stool").at - poseOf(job, "Counter stool 3").at) / 25.4;
}

} // namespace

TEST(AnIsland, LooksAtItsWallAndIsSatAtFromTheRoom) {
    const auto job = islandJob();
    const Pose island = poseOf(job, "Kitchen island");
    // Wall D is at x = 0: its doors look there, and the stools stand on the other side.
    EXPECT_NEAR(island.front().x, -1, 1e-6);
    EXPECT_GT(poseOf(job, "Counter stool").at.x, island.at.x);
    EXPECT_NEAR((island.at.x - 20 * 25.4) / 25.4, 60, 1e-6);
}

TEST(ARow, ComesCloserTogetherAndFartherApart) {
    const auto job = islandJob();
    // 84 shared out among three is 28 from middle to middle.
    EXPECT_NEAR(stoolsSpan(job), 56, 1e-6);
    EXPECT_NEAR(stoolsSpan(afterSaying(job, "bring the stools closer together")), 52, 1e-6);
    EXPECT_NEAR(stoolsSpan(afterSaying(job, "spread the stools out")), 60, 1e-6);
    EXPECT_NEAR(stoolsSpan(afterSaying(job, "move the stools closer together by 4")), 48, 1e-6);
    // Never into each other: 17 wide each.
    EXPECT_NEAR(stoolsSpan(afterSaying(job, "move the stools closer together by 40")), 34, 1e-6);
    const auto close = afterSaying(job, "bring the stools closer together");
    EXPECT_NEAR(stoolsSpan(afterSaying(close, "space the stools evenly")), 56, 1e-6);
}

TEST(ALight, HangsOverWhatItIsSaidToBeAbove) {
    const auto job = islandJob();
    const auto one = afterSaying(job, "pendant 30 above the island");
    EXPECT_NEAR(norm(poseOf(one, "Pendant").at - poseOf(one, "Kitchen island").at), 0, 1e-6);
    // It goes where the island goes.
    const auto moved = afterSaying(one, "move the island 12 toward wall C");
    EXPECT_NEAR(norm(poseOf(moved, "Pendant").at - poseOf(moved, "Kitchen island").at), 0, 1e-6);
    // One that hangs over something else comes over to it.
    const auto table = jobWith({"dining table 72 x 36, 20 from wall B", "pendant over Dining table",
                                "kitchen island, 40 from wall D"});
    const auto over = afterSaying(table, "pendant 30 above the island");
    EXPECT_NEAR(norm(poseOf(over, "Pendant").at - poseOf(over, "Kitchen island").at), 0, 1e-6);
    // Three share out what they hang over.
    const auto three = afterSaying(job, "three pendants 30 inches above the island");
    EXPECT_NEAR(norm(poseOf(three, "Pendant").at - poseOf(three, "Pendant 3").at) / 25.4, 56, 1e-6);
}

TEST(HowHigh, IsAnsweredOfTheHeightAndNothingElse) {
    const auto job = jobWith(
        {"dining table 72 x 36 in the middle of the room", "pendant 34 above Dining table"});
    const auto told = toldBySaying(job, "is the pendant too low?");
    // 30 the table, and 34 over it.
    EXPECT_TRUE(tellsThat(told, "underside at 64\"")) << told;
    EXPECT_FALSE(tellsThat(told, "%")) << told; // nothing of its width
    const auto picture = jobWith({"picture on wall A, centre at 66"});
    EXPECT_TRUE(tellsThat(toldBySaying(picture, "is the picture too high?"), "its centre at 66\""));
}

TEST(Cloth, IsCountedInWidths) {
    // 96 of rail, twice as full, of cloth 54 wide: 192 / 54 is 3.6, so four widths; each 90 long
    // and a foot for hem and heading; 408 inches are 11.33 yards, to the quarter 11.5.
    const auto job = jobWith({"curtains 96 wide 90 high on window 1"});
    const auto told = toldBySaying(job, "how much curtain fabric do I need?");
    EXPECT_TRUE(tellsThat(told, "4 widths of 54\"")) << told;
    EXPECT_TRUE(tellsThat(told, "each cut 102\" long")) << told;
    EXPECT_TRUE(tellsThat(told, "11.5 yards")) << told;
    // What nobody said is told as assumed: fullness, hem and heading, the width of the cloth.
    EXPECT_TRUE(tellsThat(told, "Assumed: twice as full as the rail, 12\" for hem and heading, and "
                                "cloth 54\" wide"))
        << told;
    EXPECT_TRUE(
        tellsThat(toldBySaying(jobWith({}), "how much fabric do I need?"), "no curtains yet"));
}

TEST(Seats, AreNotGivenWhereTheyWouldMeet) {
    // In a corner a round table has no four places that are clear of each other.
    const auto job = jobWith({"round table 44 in corner AB"});
    const auto said = readSpoken("4 chairs around the table", job, {});
    if (said && said->is == Spoken::Is::edit) {
        const auto done = apply(job, said->said.edit);
        ASSERT_TRUE(done);
        for (const Piece& a : done->project->scheme().pieces)
            for (const Piece& b : done->project->scheme().pieces)
                if (a.id < b.id && a.kind->role == Role::diningChair &&
                    b.kind->role == Role::diningChair)
                    EXPECT_GT(norm(poseOf(*done->project, a.name.c_str()).at -
                                   poseOf(*done->project, b.name.c_str()).at),
                              17 * 25.4);
    }
}

TEST(OneMore, IsCalledByTheNextNumber) {
    const auto job =
        jobWith({"dining table 72 x 36, 60 from wall B", "6 chairs around Dining table"});
    EXPECT_EQ(job.scheme().freeName("Dining chair 1"), "Dining chair 7");
    EXPECT_EQ(job.scheme().freeName("Dining table"), "Dining table 2");
    const auto told = toldBySaying(job, "remove one chair");
    EXPECT_TRUE(tellsThat(told, "Removes Dining chair 6")) << told;
}

TEST(AWordWithItsSort, IsTheSameKind) {
    const auto& kit = *jobWith({}).library.kit;
    ASSERT_TRUE(kit.byWord("wingback"));
    EXPECT_EQ(kit.byWord("wingback chair"), kit.byWord("wingback"));
    EXPECT_EQ(kit.byWord("chandelier light"), kit.byWord("chandelier"));
    // A word that another kind has stays that one's.
    EXPECT_NE(kit.byWord("side table"), kit.byWord("dining table"));
}

TEST(ARowOverIt, IsSharedOutAlongTheMiddle) {
    const auto job = islandJob();
    const auto three = afterSaying(job, "three pendants 30 above the island");
    const Pose island = poseOf(job, "Kitchen island");
    // 84 along wall D shared out among three: 28 from one to the next, all over the middle line.
    std::vector<double> along;
    for (const Piece& p : three.scheme().pieces)
        if (p.kind->underCeiling()) {
            const Vec2 at = poseOf(three, p.name.c_str()).at;
            EXPECT_NEAR(at.x, island.at.x, 1e-6);
            along.push_back((at.y - island.at.y) / 25.4);
        }
    ASSERT_EQ(along.size(), 3U);
    std::sort(along.begin(), along.end());
    EXPECT_NEAR(along[1], 0, 1e-6);
    EXPECT_NEAR(along[2] - along[1], 28, 1e-6);
}
