// Schemes beside each other, arrangements for guests, zones and balance.
#include "jobs.h"
#include "judge/compare.h"
#include "judge/zones.h"
#include "measure/text.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project saved(const Project& job) {
    auto back = readJob(jobText(job), "back.mezzet", library());
    if (!back)
        throw std::runtime_error(back.problem().text());
    return **back;
}

} // namespace

TEST(Guests, APieceMovedForGuestsIsWhereItWasEveryDay) {
    const auto job =
        jobWith({"ottoman at 3', 3'", "sofa at 10', 4'", "for guests", "ottoman at 10', 8'"});
    EXPECT_NEAR(poseOf(job, "Ottoman").at.y, 8 * 304.8, 1e-6);
    const auto day = jobWith(
        {"ottoman at 3', 3'", "sofa at 10', 4'", "for guests", "ottoman at 10', 8'", "every day"});
    EXPECT_NEAR(poseOf(day, "Ottoman").at.y, 3 * 304.8, 1e-6);
    const auto again = jobWith({"ottoman at 3', 3'", "sofa at 10', 4'", "for guests",
                                "ottoman at 10', 8'", "every day", "for guests"});
    EXPECT_NEAR(poseOf(again, "Ottoman").at.y, 8 * 304.8, 1e-6);
    EXPECT_EQ(jobText(saved(again)), jobText(again)) << "and so it is kept";
    EXPECT_EQ(jobText(saved(day)), jobText(day));
}

TEST(Guests, WhatIsBroughtInIsThereForGuestsOnly) {
    const auto job =
        jobWith({"sofa at 10', 4'", "for guests",
                 "folding chair called Extra, 10 right of sofa, centred on sofa", "every day"});
    EXPECT_EQ(job.scheme().byName("Extra"), nullptr);
    ASSERT_EQ(job.scheme().away.size(), 1U);
    EXPECT_EQ(jobText(saved(job)), jobText(job));
    const auto guests = jobWith({"sofa at 10', 4'", "for guests",
                                 "folding chair called Extra, 10 right of sofa, centred on sofa",
                                 "every day", "move sofa 12 forward", "for guests"});
    ASSERT_NE(guests.scheme().byName("Extra"), nullptr);
    EXPECT_FALSE(guests.scheme().byName("Extra")->ties.empty()) << "it still follows the sofa";
    // Its name stays taken.
    EXPECT_FALSE(readLine("stool called Extra at 3', 3'", job) &&
                 apply(job, readLine("stool called Extra at 3', 3'", job)->edit));
}

TEST(Guests, WhatIsTiedToAPiecePutAwayIsTiedAgainWhenItIsBack) {
    const auto away = jobWith({"sofa at 10', 4'", "coffee table 15 from sofa, centred on sofa",
                               "round side table 3 right of coffee table, centred on coffee table",
                               "for guests", "put away coffee table"});
    EXPECT_EQ(away.scheme().byName("Coffee table"), nullptr);
    EXPECT_TRUE(std::none_of(away.scheme().byName("Round side table")->ties.begin(),
                             away.scheme().byName("Round side table")->ties.end(),
                             [](const Tie& t) { return t.of.is == Target::Is::piece; }));
    auto said = readLine("every day", away);
    ASSERT_TRUE(said);
    const auto day = apply(away, said->edit);
    ASSERT_TRUE(day) << day.problem().text();
    ASSERT_NE(day->project->scheme().byName("Coffee table"), nullptr);
    EXPECT_EQ(day->project->scheme().byName("Round side table")->ties.size(), 3U);
    EXPECT_EQ(jobText(saved(away)), jobText(away));
}

TEST(Guests, RemovingAPieceForgetsItInBothArrangements) {
    const auto job = jobWith({"sofa at 10', 4'", "ottoman at 3', 3'", "for guests",
                              "ottoman 12 in front of sofa, centred on sofa", "every day",
                              "remove sofa", "for guests"});
    EXPECT_TRUE(std::none_of(job.scheme().byName("Ottoman")->ties.begin(),
                             job.scheme().byName("Ottoman")->ties.end(),
                             [](const Tie& t) { return t.of.is == Target::Is::piece; }));
}

TEST(Schemes, ThrownAwayAreGotBack) {
    auto job = jobWith(
        {"sofa at 10', 4'", "scheme new called Second", "armchair at 5', 5'", "scheme remove"});
    EXPECT_EQ(job.schemes.size(), 1U);
    ASSERT_EQ(job.thrownAway.size(), 1U);
    EXPECT_EQ(jobText(saved(job)), jobText(job));
    const auto said = readLine("scheme get back second", job);
    ASSERT_TRUE(said);
    const auto back = apply(job, said->edit);
    ASSERT_TRUE(back);
    EXPECT_EQ(back->project->scheme().name, "Second");
    EXPECT_EQ(back->project->scheme().pieces.size(), 2U);
    EXPECT_TRUE(back->project->thrownAway.empty());
    EXPECT_FALSE(readLine("scheme get back third", job));
}

TEST(Schemes, LaidSideBySideTellWhatDiffers) {
    const auto job =
        jobWith({"sofa 84 x 36 at 10', 4', costs 900", "armchair at 5', 8'", "floor lamp at 2', 2'",
                 "scheme new called Other", "size sofa 78 x 36", "move armchair 12 right",
                 "remove floor lamp", "trunk at 15', 10'"});
    const auto a = summaryOf(job, 0);
    const auto b = summaryOf(job, 1);
    ASSERT_TRUE(a);
    ASSERT_TRUE(b);
    EXPECT_EQ(a->seats, 4);
    EXPECT_DOUBLE_EQ(*a->cost, 900);
    EXPECT_EQ(a->priced, 1);
    using How = PieceDifference::How;
    std::map<std::string, How> how;
    for (const auto& d : differencesBetween(job, *a, *b))
        how[d.name] = d.how;
    EXPECT_EQ(how.size(), 4U);
    EXPECT_EQ(how.at("Sofa"), How::resized);
    EXPECT_EQ(how.at("Armchair"), How::moved);
    EXPECT_EQ(how.at("Floor lamp"), How::onlyFirst);
    EXPECT_EQ(how.at("Trunk"), How::onlySecond);
    EXPECT_TRUE(differencesBetween(job, *a, *a).empty());
    EXPECT_EQ(writeCost(1234567), "1,234,567");
    EXPECT_EQ(writeCost(999), "999");
}

TEST(Zones, HaveAnOutlineAnAreaAndWhatHoldsThem) {
    const auto job =
        jobWith({"sofa 80 x 40 at 10', 5', turned 0",
                 "coffee table 40 x 20 15 from sofa, "
                 "centred on sofa",
                 "rug 120 x 96 under sofa and coffee table", "round table 40 at 17', 12'",
                 "zone Seating is sofa, coffee table and rug", "zone Supper is round table"});
    const auto z = zonesOf(**sceneOf(job));
    ASSERT_EQ(z.zones.size(), 2U);
    EXPECT_NEAR(z.zones[0].area / (25.4 * 25.4), 120 * 96, 1);
    EXPECT_NE(listed(z.zones[0].heldBy).find("Rug"), std::string::npos);
    EXPECT_NE(listed(z.zones[0].heldBy).find("the back of Sofa"), std::string::npos);
    EXPECT_TRUE(z.zones[1].heldBy.empty());
    ASSERT_EQ(z.gaps.size(), 1U);
    EXPECT_GT(z.gaps[0].apart, Length::inches(30));
    EXPECT_EQ(jobText(saved(job)), jobText(job));
    const auto gone = jobWith({"sofa at 10', 5'", "zone Seating is sofa", "zone remove seating"});
    EXPECT_TRUE(gone.scheme().zones.empty());
    EXPECT_FALSE(readLine("zone Seating is elephant", job));
    EXPECT_FALSE(readLine("zone Seating", job));
    EXPECT_FALSE(readLine("zone remove nothing", job));
}

TEST(Balance, OnePieceInAQuarterIsAllOfItAndOneInTheMiddleAQuarterEach) {
    const auto corner = balanceOf(**sceneOf(jobWith({"trunk at 3', 3'"})));
    EXPECT_NEAR(corner.footprint[0], 1, 1e-9);
    EXPECT_NEAR(corner.weight[0], 1, 1e-9);
    const auto middle = balanceOf(**sceneOf(jobWith({"square table 40 at 10', 7' 6\""})));
    for (const double share : middle.footprint)
        EXPECT_NEAR(share, 0.25, 1e-9);
    // Twice as tall weighs twice as much on the same floor.
    const auto two = balanceOf(**sceneOf(
        jobWith({"trunk 40 x 20 x 20 at 3', 3'", "trunk 40 x 20 x 40 called Tall at 17', 3'"})));
    EXPECT_NEAR(two.footprint[0], 0.5, 1e-9);
    EXPECT_NEAR(two.weight[1] / two.weight[0], 2, 1e-9);
}
