// Who talks to whom, what is in reach, how many sit: each rule at its bounds.
#include "judge/seen.h"
#include "judge/talk.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* talkHall() {
    return "ceiling 8'\nwall A 30'\nwall B 24'\nwall C 30'\n door 13' from left, 36 wide, hinge "
           "left, "
           "swings out\nwall D 24'";
}

SeenReading inHall(const std::vector<std::string>& lines, const char* rule, const char* piece,
                   const char* other = nullptr) {
    return readingOf(lines, rule, piece, other, talkHall());
}

/// Two sofas that face each other, so far apart between their front edges.
std::vector<std::string> facing(double gap) {
    return {"sofa called North at 15', 5', turned 0",
            "sofa called South at 15', " + in(60 + 36 + gap) + ", turned 180"};
}

} // namespace

TEST(Conversation, AtInsideAndOutsideEachBound) { // common practice: 42 to 120
    const auto verdict = [](double gap) {
        return inHall(facing(gap), "conversation", "South", "North").verdict;
    };
    EXPECT_EQ(verdict(42), Verdict::right);
    EXPECT_EQ(verdict(41.99), Verdict::tight);
    EXPECT_EQ(verdict(42.01), Verdict::right);
    EXPECT_EQ(verdict(120), Verdict::right);
    EXPECT_EQ(verdict(120.01), Verdict::loose);
    EXPECT_NEAR(inHall(facing(80), "conversation", "South").value, 80, 1e-6);
}

TEST(Conversation, BacksDoNotTalkAndCornersAreNotKneeToKnee) {
    EXPECT_FALSE(
        inHall({"sofa called North at 15', 5', turned 180", "sofa called South at 15', 12'"},
               "conversation", "South")
            .there);
    // At a right angle, near corners are no reason to mend.
    const auto corner =
        inHall({"sofa called One at 15', 5'", "armchair called Two at 10', 7', turned 270"},
               "conversation", "Two");
    ASSERT_TRUE(corner.there);
    EXPECT_EQ(corner.verdict, Verdict::right);
    EXPECT_LT(corner.value, 42);
}

TEST(SeatsLevel, AtItsBound) { // common practice: up to 2
    const auto verdict = [](double seat) {
        auto lines = facing(80);
        lines.push_back("north seat " + in(seat));
        return inHall(lines, "seats-level", seat >= 18 ? "North" : "South").verdict;
    };
    EXPECT_EQ(verdict(20), Verdict::right);
    EXPECT_EQ(verdict(20.01), Verdict::loose);
    EXPECT_EQ(verdict(16), Verdict::right);
    EXPECT_EQ(verdict(15.99), Verdict::loose);
}

TEST(SeatsLevel, ItsRemedyBringsThemLevel) {
    auto lines = facing(80);
    lines.push_back("north seat 22");
    const auto job = jobWith(lines, talkHall());
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seats-level", "North");
    ASSERT_NE(r, nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto now = readingsOf(*after->project);
    const auto* still = find(now, *after->project, "seats-level", "North");
    EXPECT_TRUE(still == nullptr || still->verdict == Verdict::right) << remedy->line;
}

TEST(SurfaceInReach, AtItsBoundFromTheWorstPlace) { // common practice: 18
    const auto reach = [](double gap) {
        return inHall({"armchair at 15', 8'",
                       "round side table " + in(gap) + " right of armchair, centred on armchair"},
                      "surface-in-reach", "Armchair");
    };
    EXPECT_EQ(reach(18).verdict, Verdict::right);
    EXPECT_EQ(reach(18.01).verdict, Verdict::loose);
    // A sofa with a table at one end leaves its far place without.
    const auto sofa = inHall(
        {"sofa 84 x 36 x 34 at 15', 8'", "round side table 2 right of sofa, centred on sofa"},
        "surface-in-reach", "Sofa");
    ASSERT_TRUE(sofa.there);
    EXPECT_EQ(sofa.verdict, Verdict::loose);
    EXPECT_NEAR(sofa.value, 84 * 2.0 / 3 + 2, 1e-6) << "three places of 28, from the left one";
    EXPECT_EQ(inHall({"sofa at 15', 8'", "coffee table 14 from sofa, centred on sofa"},
                     "surface-in-reach", "Sofa")
                  .verdict,
              Verdict::right);
}

TEST(SurfaceInReach, NobodyReachesBehindTheBack) {
    EXPECT_EQ(inHall({"armchair at 15', 8'", "console 3 behind armchair, centred on armchair"},
                     "surface-in-reach", "Armchair")
                  .verdict,
              Verdict::loose);
}

TEST(SurfaceInReach, ItsRemedyPutsATableThere) {
    const auto job = jobWith({"armchair at 15', 8'"}, talkHall());
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "surface-in-reach", "Armchair");
    ASSERT_NE(r, nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    EXPECT_NE(remedy->line.find("side table"), std::string::npos) << remedy->line;
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto now = readingsOf(*after->project);
    EXPECT_EQ(find(now, *after->project, "surface-in-reach", "Armchair")->verdict, Verdict::right);
}

TEST(SeatsCount, MeetsTheBriefEveryDayAndForGuests) {
    const std::vector<std::string> lines{"sofa 84 x 36 at 15', 8'", "armchair at 10', 8'",
                                         "bench 48 x 16 at 20', 8'", "brief 4 seats, 6 for guests"};
    const auto count = [&](std::vector<std::string> more, bool guests) {
        auto all = lines;
        all.insert(all.end(), more.begin(), more.end());
        const auto job = jobWith(all, talkHall());
        for (const auto& r : readingsOf(job))
            if (r.rule->id == "seats-count" && r.inUse == guests)
                return std::pair{r.value.value, r.verdict};
        return std::pair{-1.0, Verdict::note};
    };
    // A sofa of 84 less 14 of arms seats three at 22; a bench of 48 two, for guests only.
    EXPECT_EQ(count({}, false), (std::pair{4.0, Verdict::right}));
    EXPECT_EQ(count({}, true), (std::pair{6.0, Verdict::right}));
    EXPECT_EQ(count({"remove armchair"}, false), (std::pair{3.0, Verdict::tight}));
    EXPECT_EQ(count({"brief none"}, false).second, Verdict::note);
}

TEST(SeatsCount, CountsWhatIsBroughtOutForGuests) {
    const auto job = jobWith({"sofa at 15', 8'", "for guests", "folding chair at 10', 8'",
                              "folding chair called Second at 10', 10'", "every day"},
                             talkHall());
    EXPECT_EQ(job.scheme().pieces.size(), 1U);
    EXPECT_EQ(seatsIn(job.scheme(), Arrangement::day, Length::inches(22), Length::inches(14)), 3);
    EXPECT_EQ(seatsIn(job.scheme(), Arrangement::guests, Length::inches(22), Length::inches(14)),
              5);
}

TEST(AgainstTheWall, IsSaidOnlyWhenAllSeatsAre) {
    const std::vector<std::string> pushed{"sofa called North against wall A, centred on wall A",
                                          "sofa called South against wall C, centred on wall C"};
    auto s = inHall(pushed, "against-the-wall", "South");
    ASSERT_TRUE(s.there);
    EXPECT_EQ(s.verdict, Verdict::note);
    EXPECT_NEAR(s.value, 24 * 12 - 72, 1e-6) << "the lane between them";
    auto pulled = pushed;
    pulled.push_back("move south 10 away from wall C");
    EXPECT_FALSE(inHall(pulled, "against-the-wall", "South").there);
}

TEST(HeightsLevel, IsFromTheLowestTopToTheHighest) {
    auto lines = facing(80);
    lines.push_back("coffee table 48 x 26 x 17 14 from north, centred on north");
    lines.push_back("floor lamp 4 right of north, centred on north");
    const auto s = inHall(lines, "heights-level", "Floor lamp");
    ASSERT_TRUE(s.there);
    EXPECT_NEAR(s.value, 60 - 17, 1e-6);
}
