// Tables that seat themselves, lining up, spreading, mirroring, and what a drag snaps to.
#include "edit/arrange.h"
#include "edit/snap.h"
#include "geometry/gap.h"
#include "jobs.h"

#include <fmt/format.h>

#include <cmath>
#include <numbers>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

TEST(PlacesAt, ARoundTableHasThemAtEqualTurns) {
    const auto job = jobWith({"round table 54 at 10', 7'"});
    const auto places = placesAt(*job.scheme().byName("Round table"), 6);
    ASSERT_EQ(places.size(), 6U);
    for (std::size_t i = 0; i < 6; ++i) {
        EXPECT_NEAR(norm(places[i].edge), 27 * 25.4, 1e-6);
        EXPECT_NEAR(dot(places[i].looks, -unit(places[i].edge)), 1, 1e-9)
            << "they look at the middle";
        const auto& next = places[(i + 1) % 6];
        EXPECT_NEAR(norm(places[i].edge - next.edge), 27 * 25.4, 1e-6) << "a sixth of a turn apart";
    }
}

TEST(PlacesAt, AnOvalTableHasThemAtEqualStretchesOfItsEdge) {
    const auto job = jobWith({"oval dining table 80 x 40 at 10', 7'"});
    const Piece& t = *job.scheme().byName("Oval dining table");
    const auto places = placesAt(t, 8);
    // Arc lengths between neighbours, walked in small steps.
    const double a = 40 * 25.4;
    const double b = 20 * 25.4;
    const auto angle = [&](Vec2 p) { return std::atan2(-p.x / a, p.y / b); };
    std::vector<double> arcs;
    for (std::size_t i = 0; i < 8; ++i) {
        const double from = angle(places[i].edge);
        double to = angle(places[(i + 1) % 8].edge);
        while (to <= from)
            to += 2 * std::numbers::pi;
        double run = 0;
        for (int k = 0; k < 2000; ++k) {
            const double t0 = from + (to - from) * k / 2000;
            run += std::hypot(a * std::cos(t0), b * std::sin(t0)) * (to - from) / 2000;
        }
        arcs.push_back(run);
    }
    for (const double run : arcs)
        EXPECT_NEAR(run, arcs.front(), 0.5);
}

TEST(PlacesAt, ARectangleSeatsItsLongSidesFirstAndThenItsEnds) {
    const auto job = jobWith({"dining table 72 x 36 at 10', 7'"});
    const Piece& t = *job.scheme().byName("Dining table");
    const auto ends = [&](int n) {
        int count = 0;
        for (const auto& p : placesAt(t, n))
            count += std::abs(p.looks.x) > 0.5 ? 1 : 0;
        return count;
    };
    EXPECT_EQ(ends(2), 0);
    EXPECT_EQ(ends(4), 0);
    EXPECT_EQ(ends(6), 2);
    EXPECT_EQ(ends(8), 2);
    EXPECT_TRUE(placesAt(t, 0).empty());
}

TEST(SeatTable, ChairsFollowTheirTableAndSpreadAnewWhenItGrows) {
    auto job = jobWith({"dining table 60 x 36 x 30 at 10', 7'", "seat dining table with 6"});
    EXPECT_EQ(job.scheme().pieces.size(), 7U);
    const auto chair = poseOf(job, "Dining chair 1").at;
    const auto moved = apply(job, readLine("move dining table 12 right", job)->edit);
    ASSERT_TRUE(moved);
    EXPECT_NEAR(norm(poseOf(*moved->project, "Dining chair 1").at - chair - Vec2{304.8, 0}), 0,
                1e-6);
    const auto grown = apply(job, readLine("size dining table 96 x 36", job)->edit);
    ASSERT_TRUE(grown);
    // Each stands half out of the table it is drawn in under, and none in another.
    const auto scene = grown->scene;
    for (std::size_t i = 1; i < scene->floor.placed.size(); ++i)
        for (std::size_t k = 1; k < i; ++k)
            EXPECT_LE(
                gapBetween(scene->floor.placed[i].shape, scene->floor.placed[k].shape).depth.mm(),
                0.01);
    const auto fewer = apply(job, readLine("seat dining table with 4", job)->edit);
    ASSERT_TRUE(fewer);
    EXPECT_EQ(fewer->project->scheme().pieces.size(), 5U) << "two chairs go";
    EXPECT_FALSE(readLine("seat dining table with 0", job));
    EXPECT_FALSE(readLine("seat dining table with 2.5", job));
    EXPECT_FALSE(readLine("seat dining table with 99", job));
    EXPECT_FALSE(readLine("seat sofa with 4", jobWith({"sofa at 10', 7'"})));
    EXPECT_EQ(words(job.scheme().byName("Dining chair 1")->ties.front(), job.wording()),
              "place 1 of 6 at Dining table, tucked 8 1/2\"");
}

TEST(SeatTable, WithoutANumberItSeatsAsManyAsItsEdgeGivesRoomTo) { // 24 each, from memory
    const auto rectangle = jobWith({"dining table 96 x 42 at 10', 7'", "seat dining table"});
    EXPECT_EQ(rectangle.scheme().pieces.size(), 1U + 2 * 4 + 2 * 1);
    const auto round = jobWith({"round table 60 at 10', 7'", "seat round table"});
    EXPECT_EQ(round.scheme().pieces.size(), 1U + 7) << "188 in of edge";
    const auto kind =
        jobWith({"round table 60 at 10', 7'", "seat round table with dining armchairs"});
    EXPECT_EQ(kind.scheme().pieces.back().kind->id, "dining-armchair");
    // A wider band seats fewer.
    const auto wider =
        jobWith({"band diner-width at least 30", "round table 60 at 10', 7'", "seat round table"});
    EXPECT_EQ(wider.scheme().pieces.size(), 1U + 6);
}

TEST(SeatTable, TheTieIsReadBackAsItIsSaid) {
    const auto job = jobWith({"round table 54 at 10', 7'",
                              "dining chair called One, place 2 of 5 at round table, tucked 8"});
    const auto& ties = job.scheme().byName("One")->ties;
    ASSERT_EQ(ties.size(), 1U);
    EXPECT_EQ(words(ties.front(), job.wording()), "place 2 of 5 at Round table, tucked 8\"");
    auto back = readJob(jobText(job), "x", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ((*back)->scheme().byName("One")->ties, ties);
    EXPECT_FALSE(readLine("one place 6 of 5 at round table", job));
    EXPECT_FALSE(readLine("one place 2 at round table", job));
}

TEST(SeatsBy, CountsEachSideOfARectangleAndTheWholeEdgeOfARound) {
    const auto job = jobWith({"dining table 72 x 36 at 10', 7'", "round table 54 at 4', 4'"});
    const Length each = Length::inches(24); // planning handbooks, from memory
    EXPECT_EQ(seatsBy(*job.scheme().byName("Dining table"), each), 8);
    EXPECT_EQ(seatsBy(*job.scheme().byName("Round table"), each), 7); // 169.6 in of edge
    EXPECT_EQ(seatsBy(*job.scheme().byName("Round table"), Length{}), 0);
}

TEST(Align, BringsEdgesIntoLineInTheFirstPiecesOwnDirections) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 5', turned 0", "armchair 30 x 30 at 3', 6'",
                              "trunk 40 x 20 at 17', 4', turned 90"});
    const auto backs = apply(job, readLine("align sofa, armchair and trunk by backs", job)->edit);
    ASSERT_TRUE(backs);
    const double line = 5 * 304.8 - 18 * 25.4;
    for (const auto& p : backs->scene->floor.placed)
        EXPECT_NEAR(-extent(p.shape, {0, -1}), line, 1e-6);
    const auto middles = apply(job, readLine("align sofa and armchair by middles", job)->edit);
    ASSERT_TRUE(middles);
    EXPECT_NEAR(poseOf(*middles->project, "Armchair").at.x, 10 * 304.8, 1e-6);
    EXPECT_FALSE(readLine("align sofa and armchair by magic", job));
}

TEST(Spread, MakesTheGapsEqual) {
    const auto job =
        jobWith({"trunk 20 x 20 called One at 2', 7'", "trunk 30 x 20 called Two at 4', 7'",
                 "trunk 40 x 20 called Three at 9', 7'", "trunk 20 x 20 called Four at 18', 7'"});
    const auto said = readLine("spread one, two, three and four evenly", job);
    ASSERT_TRUE(said) << said.problem().text();
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    std::vector<double> gaps;
    for (std::size_t i = 0; i + 1 < 4; ++i)
        gaps.push_back(-extent(after->scene->floor.placed[i + 1].shape, {-1, 0}) -
                       extent(after->scene->floor.placed[i].shape, {1, 0}));
    EXPECT_NEAR(gaps[0], gaps[1], 1e-6);
    EXPECT_NEAR(gaps[1], gaps[2], 1e-6);
    EXPECT_FALSE(readLine("spread one and two", job));
}

TEST(Mirror, TwiceIsAsItWasAndTiesGoToTheOtherWall) {
    const auto job = jobWith({"sofa 84 x 36 against wall D, 30 from wall A",
                              "coffee table 15 from sofa, centred on sofa",
                              "armchair 12 left of coffee table, centred on coffee table",
                              "corner sofa in corner AB"});
    const auto once = apply(job, readLine("mirror the layout", job)->edit);
    ASSERT_TRUE(once) << once.problem().text();
    const auto& sofa = *once->project->scheme().byName("Sofa");
    EXPECT_EQ(words(sofa.ties.front(), once->project->wording()), "against wall B");
    EXPECT_NEAR(poseOf(*once->project, "Sofa").at.x, 20 * 304.8 - poseOf(job, "Sofa").at.x, 1e-6);
    EXPECT_EQ(once->project->scheme().byName("Corner sofa")->footprint.armOnRight,
              !job.scheme().byName("Corner sofa")->footprint.armOnRight);
    const auto twice = apply(*once->project, readLine("mirror the layout", *once->project)->edit);
    ASSERT_TRUE(twice);
    for (const auto& p : job.scheme().pieces) {
        EXPECT_NEAR(
            norm(poseOf(*twice->project, p.name.c_str()).at - poseOf(job, p.name.c_str()).at), 0,
            1e-6)
            << p.name;
        EXPECT_NEAR(std::abs(difference(poseOf(*twice->project, p.name.c_str()).turn,
                                        poseOf(job, p.name.c_str()).turn)
                                 .inDegrees()),
                    0, 1e-6);
    }
    // What still holds is still tied.
    EXPECT_FALSE(once->project->scheme().byName("Coffee table")->ties.empty());
    EXPECT_TRUE(readLine("mirror the layout front to back", job));
}

TEST(Mirror, LeavesLockedPieces) {
    const auto job = jobWith({"sofa at 5', 5'", "lock sofa"});
    EXPECT_FALSE(readLine("mirror the layout", job));
}

TEST(Snap, OffersTheWallTheWindowAndTheMiddleOfAnother) {
    const auto job =
        jobWith({"sideboard 60 x 18 at 10' 2\", 14, turned 0", "sofa 84 x 36 at 10', 9'"});
    const auto scene = *sceneOf(job);
    const int side = job.scheme().byName("Sideboard")->id;
    // Its back is 5 in off wall A, its middle 2 in from the window's.
    const auto offer = snapFor(job, *scene, side, {0, 0}, Length::inches(6));
    ASSERT_TRUE(offer);
    EXPECT_NE(offer->words.find("against wall A"), std::string::npos) << offer->words;
    EXPECT_NEAR(offer->step.y, -5 * 25.4, 1e-6);
    EXPECT_NEAR(offer->step.x, -2 * 25.4, 1e-6);
    EXPECT_EQ(offer->ties.size(), 2U);
    // The ties hold where the step brings it.
    Piece p = *job.scheme().byId(side);
    const auto held = retied(job, p, offer->ties);
    ASSERT_TRUE(held);
    Edit e;
    e.acts.emplace_back(PutPiece{held->piece});
    const auto after = apply(job, e);
    ASSERT_TRUE(after);
    EXPECT_NEAR(
        norm(poseOf(*after->project, "Sideboard").at - (poseOf(job, "Sideboard").at + offer->step)),
        0, 1e-6);
    EXPECT_FALSE(snapFor(job, *scene, side, {1500, 1200}, Length::inches(1)));
    const auto locked = jobWith({"sideboard at 10', 14", "lock sideboard"});
    EXPECT_FALSE(snapFor(locked, **sceneOf(locked), 1, {0, 0}, Length::inches(6)));
}

TEST(Snap, NeverOffersWhatHangsOnThePieceItself) {
    const auto job =
        jobWith({"sofa 84 x 36 at 10', 7'", "coffee table 15 from sofa, centred on sofa"});
    const auto offer =
        snapFor(job, **sceneOf(job), job.scheme().byName("Sofa")->id, {10, 0}, Length::inches(2));
    if (offer)
        EXPECT_EQ(offer->words.find("Coffee table"), std::string::npos) << offer->words;
}

TEST(Lines, OfTheFloorAreReadAndRefused) {
    const auto job = jobWith({"sofa at 10', 7'"});
    for (const char* good : {"access on", "access off", "brief 4 seats, 6 for guests", "brief none",
                             "note The fire is seldom lit", "for guests", "every day",
                             "sofa because it faces the fire", "sofa costs 1200", "sofa bare back",
                             "mirror the layout", "put away sofa", "size all sofas 80 x 36"})
        EXPECT_TRUE(readLine(good, job)) << good << ": " << readLine(good, job).problem().text();
    for (const char* bad : {"access maybe", "brief many", "brief -1", "brief 6 seats, many",
                            "sofa costs", "sofa costs -5", "put away elephant", "bring out sofa",
                            "size all elephants 3", "align sofa", "spread"}) {
        const auto said = readLine(bad, job);
        ASSERT_FALSE(said) << bad;
        EXPECT_FALSE(said.problem().what.empty()) << bad;
        EXPECT_GE(said.problem().column, 1) << bad;
    }
    const auto noted = apply(job, readLine("sofa because it faces the fire", job)->edit);
    EXPECT_EQ(noted->project->scheme().byName("Sofa")->reason, "it faces the fire");
}

TEST(Lines, SeatIsATableOrTheHeightOfWhatIsSelected) {
    const auto job = jobWith({"sofa at 10', 7'", "round table at 4', 4'"});
    const auto height = readLine("seat 17", job, job.scheme().byName("Sofa")->id);
    ASSERT_TRUE(height) << height.problem().text();
    const auto after = apply(job, height->edit);
    EXPECT_NEAR(after->project->scheme().byName("Sofa")->heights.seat->inInches(), 17, 1e-9);
    EXPECT_TRUE(readLine("seat round table with 4", job));
}

TEST(Lines, SeveralAreSizedAndLockedAtOnce) {
    const auto job =
        jobWith({"dining chair called One at 3', 3'", "dining chair called Two at 6', 3'",
                 "size all dining chairs 19 x 21", "lock one and two"});
    for (const char* n : {"One", "Two"}) {
        EXPECT_NEAR(job.scheme().byName(n)->size.width.inInches(), 19, 1e-9);
        EXPECT_TRUE(job.scheme().byName(n)->locked);
    }
}

TEST(Seats, HaveATableWhereTheyAreTiedToIt) {
    const auto job =
        jobWith({"round table 54 at 10', 7'", "seat round table with 3", "desk against wall A",
                 "desk chair facing desk", "armchair at 16', 12'", "stool 4 in front of desk"});
    const auto tableOf = [&](const char* name) {
        const Tie* t = tieToTable(*job.scheme().byName(name), job.scheme());
        return t == nullptr ? std::string() : job.scheme().byId(t->of.piece)->name;
    };
    EXPECT_EQ(tableOf("Dining chair 2"), "Round table");
    EXPECT_EQ(tableOf("Desk chair"), "Desk");
    EXPECT_EQ(tableOf("Armchair"), "");
}

TEST(Seats, GoHalfTheirDepthUnderATableThatIsHighEnough) { // common practice
    const auto job = jobWith({"dining table 72 x 36 x 30 at 10', 7'", "seat dining table with 2"});
    const Piece& chair = *job.scheme().byName("Dining chair 1");
    EXPECT_NEAR(tuckedUnder(chair, *job.scheme().byName("Dining table")->kind).mm(),
                chair.size.depth.mm() / 2, 1);
    const auto low = jobWith({"coffee table at 10', 7'", "dining chair at 5', 5'"});
    EXPECT_EQ(tuckedUnder(*low.scheme().byName("Dining chair"),
                          *low.scheme().byName("Coffee table")->kind),
              Length{});
}
