// What is said of tables and who sits at them: sides, benches, rugs, rows of stools; one for
// several; and what is asked of them. Figures are worked by hand.
#include "spoken_to.h"

#include <algorithm>
#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::size_t ofKind(const Project& job, const char* word) {
    const KindPtr kind = job.library.kit->byWord(word);
    return static_cast<std::size_t>(std::count_if(job.scheme().pieces.begin(),
                                                  job.scheme().pieces.end(),
                                                  [&](const Piece& p) { return p.kind == kind; }));
}
/// 8 chairs at a table 80 by 36 in the middle: three on each long side, one at each end.
Project seated() {
    return jobWith({"dining table 80 x 36 in the middle of the room", "seat dining table with 8"});
}

} // namespace

TEST(SidesOfATable, AreToldByWhatIsThere) {
    const auto job = seated();
    // The window is in wall A: the side nearest to it is the one with the smaller y.
    const auto fewer = afterSaying(job, "remove the chairs on the window side");
    EXPECT_EQ(ofKind(fewer, "dining chair"), 5U);
    for (const Piece& p : fewer.scheme().pieces)
        if (p.kind == fewer.library.kit->byWord("dining chair"))
            EXPECT_GE(poseOf(fewer, p.name.c_str()).at.y / 25.4, 89.9) << p.name;
}

TEST(SidesOfATable, ABenchIsThereInsteadOfTheChairs) {
    const auto job = seated();
    for (const char* line : {"bench instead of the chairs on the window side",
                             "replace the chairs on the window side with a bench"}) {
        const auto with = afterSaying(job, line);
        EXPECT_EQ(ofKind(with, "bench"), 1U) << line;
        EXPECT_EQ(ofKind(with, "dining chair"), 5U) << line;
        EXPECT_LT(poseOf(with, "Bench").at.y / 25.4, 90 - 18) << line;
        EXPECT_NEAR(poseOf(with, "Bench").front().y, 1, 1e-6) << line << ": it looks at the table";
    }
}

TEST(TableMadeRound, IsAnotherInItsPlace) {
    const auto now = afterSaying(seated(), "make the dining table round, 60 across");
    EXPECT_EQ(ofKind(now, "round table"), 1U);
    EXPECT_EQ(ofKind(now, "dining table"), 0U);
    EXPECT_EQ(ofKind(now, "dining chair"), 8U);
    const Piece& table = *now.scheme().byName("Round table");
    EXPECT_EQ(table.size.width, Length::inches(60));
    EXPECT_EQ(table.size.depth, Length::inches(60));
}

TEST(RugOfATable, ReachesPastItForTheChairs) {
    // 24 past it on each side (common practice).
    for (const char* line : {"a rug under the table, big enough for the chairs",
                             "rug under the table that fits the chairs",
                             "a rug under the table so the chairs stay on it"}) {
        const auto with = afterSaying(seated(), line);
        const Piece& rug = with.scheme().pieces.back();
        EXPECT_NEAR(std::max(rug.size.width, rug.size.depth).inInches(), 80 + 48, 0.01) << line;
        EXPECT_NEAR(std::min(rug.size.width, rug.size.depth).inInches(), 36 + 48, 0.01) << line;
    }
}

TEST(RoomBehindChairs, IsTheLeastOfThem) {
    // The table's long sides are 72 from walls A and C, its ends 80 from B and D.
    const auto words = toldBySaying(seated(), "is there enough room behind the chairs?");
    EXPECT_NE(words.find("72\" from the table's edge"), std::string::npos) << words;
    EXPECT_NE(words.find("44\" where people also pass"), std::string::npos) << words;
    EXPECT_EQ(words, toldBySaying(seated(), "is there room to pull out the chairs?"));
}

TEST(StoolsAtACounter, AreAsHighAsThatAsksFor) {
    const auto counter = jobWith({"kitchen island 84 x 40 x 36 in the middle of the room"});
    EXPECT_EQ(ofKind(afterSaying(counter, "three stools at the island"), "counter stool"), 3U);
    const auto bar = jobWith({"kitchen island 84 x 40 x 42 in the middle of the room"});
    EXPECT_EQ(ofKind(afterSaying(bar, "three stools at the island"), "bar stool"), 3U);
    // What is said to be one is that.
    EXPECT_EQ(ofKind(afterSaying(counter, "three bar stools at the island"), "bar stool"), 3U);
    // 84 gives three places of 24.
    EXPECT_NE(toldBySaying(counter, "how many stools fit at the island?").find("3 on stools"),
              std::string::npos);
}

TEST(LightsOverACounter, AreApartByItsLength) {
    const auto job = jobWith({"kitchen island 84 x 40 x 36 in the middle of the room"});
    const auto words = toldBySaying(job, "how far apart should the pendants be?");
    EXPECT_NE(words.find("two 42\" apart, three 28\""), std::string::npos) << words;
    const auto two =
        afterSaying(job, "two pendants over the island, 36 apart, 32 above the counter");
    ASSERT_EQ(ofKind(two, "pendant"), 2U);
    EXPECT_NEAR(std::abs(poseOf(two, "Pendant").at.x - poseOf(two, "Pendant 2").at.x) / 25.4, 36,
                0.01);
    EXPECT_NE(toldBySaying(job, "pendants 30 above the island").find("how many pendants"),
              std::string::npos);
}

TEST(OneForSeveral, TakesThePlaceOfTheFirst) {
    const auto job = jobWith({"armchair 30 x 33 at 4', 5'", "an armchair 30 x 33 at 10', 5'"});
    for (const char* line :
         {"swap the armchairs for a loveseat", "replace both armchairs with a loveseat",
          "loveseat instead of the armchairs"}) {
        const auto now = afterSaying(job, line);
        EXPECT_EQ(ofKind(now, "armchair"), 0U) << line;
        EXPECT_EQ(ofKind(now, "loveseat"), 1U) << line;
    }
    const auto each = afterSaying(job, "replace the armchairs with swivel chairs");
    EXPECT_EQ(ofKind(each, "swivel chair"), 2U);
}

TEST(WithOnATop, WhatStandsThereIsOnIt) {
    const auto job = jobWith({});
    const auto tv = afterSaying(job, "tv stand on wall D with a 65 inch tv");
    const Piece& screen = tv.scheme().pieces.back();
    EXPECT_EQ(screen.on.piece, tv.scheme().pieces.front().id);
    // 65 corner to corner, as 16 to 9.
    EXPECT_NEAR(screen.size.width.inInches(), 65 * 16 / std::hypot(16, 9), 0.05);
    const auto lamps = afterSaying(job, "console 60 x 14 on wall D with two lamps");
    EXPECT_EQ(ofKind(lamps, "table lamp"), 2U);
}

TEST(AWordOfLooks, BeforeOneThatIsThereIsAskedAbout) {
    const auto job = jobWith({"mirror on wall B"});
    EXPECT_NE(toldBySaying(job, "big mirror on wall D").find("could be Mirror, or another one"),
              std::string::npos);
    EXPECT_EQ(ofKind(afterSaying(job, "a big mirror on wall D"), "mirror"), 2U);
    EXPECT_EQ(ofKind(afterSaying(job, "the mirror on wall D"), "mirror"), 1U);
    EXPECT_EQ(ofKind(afterSaying(job, "matching mirror on wall D"), "mirror"), 2U);
}

TEST(InsteadOf, WhatIsNamedAndNotWhatWasSpokenOf) {
    const auto job = jobWith({"wardrobe 48 x 24 on wall B", "dresser 48 x 18 x 34 on wall D"});
    Listener to;
    to.them = {job.scheme().byName("Dresser")->id};
    const auto said = readSpoken("wardrobe 60 wide instead", job, to);
    ASSERT_TRUE(said) << said.problem().text();
    const auto now = *apply(job, said->said.edit)->project;
    EXPECT_EQ(now.scheme().pieces.size(), 2U);
    EXPECT_NE(now.scheme().byName("Dresser"), nullptr);
    // Nor is a refrigerator made a stool.
    Listener fridge;
    const auto kitchen = jobWith({"refrigerator on wall D", "bar stool at 5', 5'"});
    fridge.them = {kitchen.scheme().byName("Refrigerator")->id};
    for (const char* line : {"stools 24 x 18 instead", "a stool instead", "two stools instead"})
        if (const auto other = readSpoken(line, kitchen, fridge))
            EXPECT_NE((*apply(kitchen, other->said.edit)->project).scheme().byName("Refrigerator"),
                      nullptr)
                << line;
}
