// What several views say of readings, and what several parts of the program ask of a job.
#include "edit/arrange.h"
#include "jobs.h"
#include "kit/csv.h"
#include "measure/text.h"

#include <filesystem>

using namespace mezzet;
using namespace mezzet::test;

TEST(Readings, ToMendTheWeightiestComesFirst) {
    const auto job = jobWith(
        {"sofa at 6', 6'", "armchair at 6', 6'", "coffee table 4 from sofa, centred on sofa"});
    const auto all = readingsOf(job);
    const auto mends = toMendByWeight(all);
    ASSERT_GE(mends.size(), 2U);
    for (std::size_t i = 1; i < mends.size(); ++i)
        EXPECT_GE(weightOf(*mends[i - 1]), weightOf(*mends[i]));
    for (const Reading* r : mends)
        EXPECT_TRUE(r->toMend());
    EXPECT_EQ(mends.front()->verdict, Verdict::clash) << "what can't be comes before what hurts";
}

TEST(Readings, ASentenceNamesThePieceAndATitleGoesOnSmall) {
    const auto job = jobWith({"sofa against wall A", "coffee table 4 from sofa, centred on sofa"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seat-to-table", "Coffee table");
    ASSERT_NE(r, nullptr);
    EXPECT_TRUE(sentenceOf(*r, job.wording()).starts_with("Coffee table: 4\""));
    EXPECT_EQ(titleWithSubject(*r, job.wording()), "Coffee table: gap to Sofa");
}

TEST(Readings, ALessWrongOneIsNotUpset) {
    const auto four = jobWith({"sofa against wall A", "coffee table 4 from sofa, centred on sofa"});
    const auto six = jobWith({"sofa against wall A", "coffee table 6 from sofa, centred on sofa"});
    const auto good =
        jobWith({"sofa against wall A", "coffee table 15 from sofa, centred on sofa"});
    const auto at = [](const std::vector<Reading>& all, const Project& job) {
        return *find(all, job, "seat-to-table", "Coffee table");
    };
    const auto a = readingsOf(four);
    const auto b = readingsOf(six);
    const auto c = readingsOf(good);
    EXPECT_FALSE(isUpset(at(b, six), a)) << "from 4 to 6 it is nearer its band";
    EXPECT_TRUE(isUpset(at(a, four), b));
    EXPECT_TRUE(isUpset(at(b, six), c)) << "it was right";
    EXPECT_FALSE(isUpset(at(c, good), a));
}

TEST(Text, GoesOnSmallInASentence) {
    EXPECT_EQ(smallFirst("Gap to Sofa"), "gap to Sofa");
    EXPECT_EQ(smallFirst(""), "");
    EXPECT_EQ(smallFirst("éclair"), "éclair");
    EXPECT_EQ(smallFirst("4 in"), "4 in");
}

TEST(Targets, MeanWhatTheyAreMadeOf) {
    const auto job = jobWith({"sofa against wall A"});
    const Wording say = job.wording();
    EXPECT_EQ(words(wallTarget(2), say), "wall C");
    EXPECT_EQ(words(pieceTarget(job.scheme().pieces[0].id), say), "Sofa");
    EXPECT_EQ(words(roomTarget(), say), "room");
    for (const Opening& o : job.room->openings)
        EXPECT_EQ(words(targetOf(o), say), o.name());
}

TEST(Room, TellsTheOpeningsAlongAStretchOfItsEdge) {
    const auto job = jobWith({});
    std::size_t count = 0;
    for (std::size_t i = 0; i < job.room->stretches(); ++i)
        for (const Opening* o : openingsAlong(*job.room, i)) {
            EXPECT_EQ(o->wall, job.room->edgeWall[i]);
            ++count;
        }
    EXPECT_EQ(count, job.room->openings.size());
}

TEST(Chairs, TheUsualOneIsTheTablesOwnOrTheKitsFirst) {
    const auto bare = jobWith({"round table 54 at 10', 7'"});
    const int table = bare.scheme().byName("Round table")->id;
    ASSERT_TRUE(usualChair(bare, table));
    EXPECT_EQ(usualChair(bare, table)->role, Role::diningChair);
    const auto own =
        jobWith({"round table 54 at 10', 7'", "seat round table with 2 folding chairs"});
    EXPECT_EQ(usualChair(own, own.scheme().byName("Round table")->id)->id, "folding-chair");
    EXPECT_NEAR(elbowRoom(bare).inInches(), 24, 1e-9) << "common practice: 24 in of edge each";
}

TEST(OwnKinds, TakeTheirPlaceAmongTheStudiosAndBadOnesAreRefused) {
    const std::filesystem::path data(MEZZET_TEST_DATA);
    const auto heron = kindsFromCsv("name,width_in,depth_in,height_in\r\nHeron sofa,80,34,31\r\n",
                                    "own.csv", *library().kit);
    ASSERT_TRUE(heron) << heron.problem().text();
    const auto with = withOwnKinds(library(), *heron, data);
    ASSERT_TRUE(with);
    ASSERT_TRUE(with->kit->byWord("Heron sofa"));
    EXPECT_NEAR(with->kit->byWord("Heron sofa")->size.width.inInches(), 80, 1e-9);
    // One of the same id takes its place; a word that means another kind is refused.
    auto wider = *heron;
    wider[0].size.width = Length::inches(90);
    const auto again = withOwnKinds(*with, wider, data);
    ASSERT_TRUE(again);
    EXPECT_NEAR(again->kit->byWord("Heron sofa")->size.width.inInches(), 90, 1e-9);
    auto clash = *heron;
    clash[0].id = "another";
    clash[0].name = "Armchair";
    EXPECT_FALSE(withOwnKinds(library(), clash, data));
    EXPECT_FALSE(withOwnKinds(library(), *heron, "/no/such/folder"));
}
