#include "judge/rule_code.h"
#include "judge/seen.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const std::string sofa = "sofa 84 x 36 x 34 against wall A, centred on wall A";

} // namespace

TEST(SeatToTable, AtInsideAndOutsideEachBoundInBothSchools) { // common practice: 12-18, or 15-18
    const auto verdict = [](double gap, const char* school) {
        return readingOf({sofa,
                          "coffee table 48 x 26 x 17 " + in(gap) + " from sofa, centred on sofa",
                          std::string("school ") + school},
                         "seat-to-table", "Coffee table")
            .verdict;
    };
    for (const auto& [school, low] :
         {std::pair{"low-and-close", 12.0}, std::pair{"viewer-and-air", 15.0}}) {
        EXPECT_EQ(verdict(low, school), Verdict::right);
        EXPECT_EQ(verdict(low + 0.01, school), Verdict::right);
        EXPECT_EQ(verdict(low - 0.01, school), Verdict::tight);
        EXPECT_EQ(verdict(18, school), Verdict::right);
        EXPECT_EQ(verdict(17.99, school), Verdict::right);
        EXPECT_EQ(verdict(18.01, school), Verdict::loose);
    }
}

TEST(SeatToTable, ACornerSofaIsMeasuredFromItsInnerEdge) {
    const auto s = readingOf({"corner sofa 108 x 66 x 33 against wall A, centred on wall A",
                              "coffee table 40 x 26 14 from corner sofa, centred on corner sofa"},
                             "seat-to-table", "Coffee table");
    ASSERT_TRUE(s.there);
    EXPECT_NEAR(s.value, 14, 1e-6);
}

TEST(SeatToTable, ATableBehindOrFarOffIsNotItsTable) {
    EXPECT_FALSE(readingOf({"sofa 84 x 36 at 10', 8', turned 0", "coffee table 10 behind sofa"},
                           "seat-to-table", "Coffee table")
                     .there);
    EXPECT_FALSE(readingOf({sofa, "coffee table 60 from sofa, centred on sofa"}, "seat-to-table",
                           "Coffee table")
                     .there);
}

TEST(TableLevel, AtInsideAndOutsideEachBound) { // common practice: 2 under to 2 over the cushion
    const auto verdict = [](double top) {
        return readingOf(
                   {sofa, "coffee table 56 x 26 x " + in(top) + " 15 from sofa, centred on sofa"},
                   "table-level", "Coffee table")
            .verdict;
    };
    EXPECT_EQ(verdict(16), Verdict::right);
    EXPECT_EQ(verdict(15.99), Verdict::tight);
    EXPECT_EQ(verdict(16.01), Verdict::right);
    EXPECT_EQ(verdict(20), Verdict::right);
    EXPECT_EQ(verdict(20.01), Verdict::loose);
    EXPECT_EQ(verdict(19.99), Verdict::right);
}

TEST(TableToSofa, AtInsideAndOutsideEachBound) { // common practice: two thirds, 0.60 to 0.75
    const auto verdict = [](double length) {
        return readingOf({sofa, "coffee table " + in(length) +
                                    " x 26in x 17in 15 from sofa, centred on sofa"},
                         "table-to-sofa", "Coffee table")
            .verdict;
    };
    EXPECT_EQ(verdict(84 * 0.60), Verdict::right);
    EXPECT_EQ(verdict(84 * 0.60 - 0.01), Verdict::tight);
    EXPECT_EQ(verdict(84 * 0.60 + 0.01), Verdict::right);
    EXPECT_EQ(verdict(63), Verdict::right);
    EXPECT_EQ(verdict(63.01), Verdict::loose);
    EXPECT_EQ(verdict(62.99), Verdict::right);
}

TEST(DiningToWall, AtInsideAndOutsideItsBound) { // common practice: at least 36
    const auto verdict = [](double gap) {
        return readingOf({"dining table 72 x 38 " + in(gap) +
                          " from wall A, centred on wall A, square to wall A"},
                         "dining-to-wall", "Dining table", "wall A")
            .verdict;
    };
    EXPECT_EQ(verdict(36), Verdict::right);
    EXPECT_EQ(verdict(36.01), Verdict::right);
    EXPECT_EQ(verdict(35.99), Verdict::tight);
}

TEST(DiningToWall, OnlySidesThatSeatSomeoneCount) {
    const std::vector<std::string> lines{
        "dining table 72 x 38 20 from wall A, centred on wall A, square to wall A",
        "dining chair 2 in front of dining table, centred on dining table"};
    EXPECT_FALSE(readingOf(lines, "dining-to-wall", "Dining table", "wall A").there)
        << "nobody sits on that side";
}

TEST(DiningToWall, ATallPieceCountsAsAWallAndALowOneDoesNot) {
    const std::string table =
        "dining table 72 x 38 60 from wall A, centred on wall A, square to wall A";
    EXPECT_NEAR(
        readingOf({table, "bookcase 36 x 12 x 78 30 behind dining table, centred on dining table"},
                  "dining-to-wall", "Dining table", "Bookcase")
            .value,
        30, 1e-6);
    EXPECT_FALSE(readingOf({table, "ottoman 30 behind dining table, centred on dining table"},
                           "dining-to-wall", "Dining table", "Ottoman")
                     .there);
}

TEST(ChairPullOut,
     AtInsideAndOutsideItsBound) { // 32 to sit down, from memory of planning handbooks
    const auto at = [](double gap) {
        return readingOf({"dining table 72 x 38 " + in(gap) +
                              " from wall A, centred on wall A, square to wall A",
                          "dining chair 18 x 20 1 behind dining table, centred on dining table"},
                         "chair-pull-out", "Dining chair", "wall A");
    };
    EXPECT_EQ(at(32).verdict, Verdict::right);
    EXPECT_EQ(at(32.01).verdict, Verdict::right);
    EXPECT_EQ(at(31.99).verdict, Verdict::tight);
    EXPECT_NEAR(at(40).value, 40, 1e-6);
}

TEST(ChairPullOut, ADoorLeafIsInTheWay) {
    const auto s = readingOf({"round table 40 at 16' 0\", 9' 6\"",
                              "dining chair 1 in front of round table, centred on round table"},
                             "chair-pull-out", "Dining chair", "door 1");
    ASSERT_TRUE(s.there);
    EXPECT_LT(s.value, 40);
}

TEST(DoorSwing, TouchingTheSweepIsAClash) {
    // The door in wall C is hinged at x = 240 - 24 - 32 = 184 and sweeps to 216, 32 deep.
    const auto at = [](double y) {
        return readingOf({"stool 10 at 200in, " + in(y)}, "door-swing", "Stool", "door 1");
    };
    EXPECT_EQ(at(170).verdict, Verdict::clash);
    const auto clear = at(140);
    ASSERT_TRUE(clear.there);
    EXPECT_EQ(clear.verdict, Verdict::right);
    EXPECT_NEAR(clear.value, std::hypot(16, 40) - 32 - 5, 1e-6);
}

TEST(Clash, IsTheDepthAndTouchingIsNone) {
    const auto at = [](double x) {
        return readingOf({"trunk 40 x 20 at 100in, 90in", "bench 40 x 20 at " + in(x) + ", 90in"},
                         "clash", "Bench", "Trunk");
    };
    EXPECT_FALSE(at(140).there);
    EXPECT_FALSE(at(140.01).there);
    EXPECT_NEAR(at(139.99).value, 0.01, 1e-6);
    EXPECT_NEAR(at(135).value, 5, 1e-6);
    EXPECT_EQ(at(135).verdict, Verdict::clash);
}

TEST(Clash, AChairMayStandUnderATableAndAnythingOnARug) {
    EXPECT_FALSE(
        readingOf({"dining table 72 x 38 at 10', 7'", "dining chair at 10', 8' 8\", turned 180"},
                  "clash", "Dining chair")
            .there);
    EXPECT_TRUE(readingOf({"dining table 72 x 38 at 10', 7'", "dining chair at 10', 7'"}, "clash",
                          "Dining chair")
                    .there)
        << "but not in the middle of it";
    EXPECT_FALSE(readingOf({"rug at 10', 7'", "trunk at 10', 7'"}, "clash", "Trunk").there);
}

TEST(Inside, IsHowFarAPieceReachesThroughAWall) {
    const auto at = [](double x) {
        return readingOf({"trunk 40 x 20 at " + in(x) + ", 90in"}, "inside", "Trunk");
    };
    EXPECT_FALSE(at(20).there);
    EXPECT_NEAR(at(19.99).value, 0.01, 1e-6);
    EXPECT_NEAR(at(15).value, 5, 1e-6);
    EXPECT_EQ(at(15).verdict, Verdict::clash);
    EXPECT_NEAR(at(-60).value, 80, 1e-6) << "wholly outside";
}

TEST(Remedy, BringsItsReadingIntoTheBandAndIsAnEditLikeAnyOther) {
    const auto job = jobWith({sofa, "coffee table 48 x 26 x 17 8 from sofa, centred on sofa"});
    const auto all = readingsOf(job);
    int mended = 0;
    for (const auto& r : all) {
        if (!r.toMend())
            continue;
        const auto remedy = remedyFor(r, job, **sceneOf(job), all);
        ASSERT_TRUE(remedy) << r.rule->id;
        const auto after = apply(job, remedy->edit);
        ASSERT_TRUE(after);
        for (const auto& now : readingsOf(*after->project))
            if (now.sameAs(r))
                EXPECT_EQ(now.verdict, Verdict::right) << remedy->line;
        EXPECT_TRUE(readLine(remedy->line, job)) << "it can be typed: " << remedy->line;
        ++mended;
    }
    EXPECT_GE(mended, 2);
}

TEST(Remedy, MendsEveryRuleOfTheBook) {
    const auto job =
        jobWith({sofa, "coffee table 48 x 26 x 24 8 from sofa, centred on sofa",
                 "dining table 60 x 36 20 from wall D, 60 from wall A, square to wall D",
                 "dining chair called back chair, 1 behind dining table, centred on dining table",
                 "stool 10 at 200in, 170in", "trunk 40 x 20 at 120in, 176in",
                 "bench 30 x 16 at 130in, 160in", "bookcase 30 x 12 x 100 at 200in, 30in"});
    const auto all = readingsOf(job);
    std::map<std::string, bool> mended;
    for (const auto& r : all)
        if (r.toMend())
            mended[r.rule->id] =
                mended[r.rule->id] || remedyFor(r, job, **sceneOf(job), all).has_value();
    EXPECT_GE(mended.size(), 9U);
    for (const auto& [rule, ok] : mended)
        EXPECT_TRUE(ok) << rule;
}

TEST(Remedy, TypingANumberOnTheTapeMovesThePiece) {
    const auto job = jobWith({sofa, "coffee table 48 x 26 x 17 8 from sofa, centred on sofa"});
    const auto all = readingsOf(job);
    const auto brought = bringTo(*find(all, job, "seat-to-table", "Coffee table"),
                                 Length::inches(16).mm(), job, **sceneOf(job), all);
    ASSERT_TRUE(brought) << brought.problem().text();
    EXPECT_EQ(brought->line, "Coffee table 16\" from Sofa");
    const auto ratio =
        bringTo(*find(all, job, "table-to-sofa", "Coffee table"), 0.66, job, **sceneOf(job), all);
    ASSERT_TRUE(ratio);
    const auto locked = jobWith(
        {sofa, "coffee table 8 from sofa, centred on sofa", "lock coffee table", "lock sofa"});
    const auto still = readingsOf(locked);
    EXPECT_FALSE(bringTo(*find(still, locked, "seat-to-table", "Coffee table"), 400, locked,
                         **sceneOf(locked), still));
}

TEST(Schools, EachRuleCanBeSwitchedByItself) {
    const auto gap15 = std::vector<std::string>{sofa, "coffee table 13 from sofa, centred on sofa"};
    auto lines = gap15;
    EXPECT_EQ(readingOf(lines, "seat-to-table", "Coffee table").verdict, Verdict::right);
    lines.push_back("rule seat-to-table viewer-and-air");
    EXPECT_EQ(readingOf(lines, "seat-to-table", "Coffee table").verdict, Verdict::tight);
    lines.push_back("band seat-to-table 10 to 14");
    EXPECT_EQ(readingOf(lines, "seat-to-table", "Coffee table").verdict, Verdict::right);
}

TEST(RuleBook, ABadOneIsRefusedWithEntryAndReason) {
    const auto bad = readRuleBook(
        R"({"format":"mezzet-rules 1","schools":[{"id":"a","title":"A","says":"s"}],"rules":[{"id":"x","title":"X","measures":"m","right":"r","source":"s","quantity":"smell","band":[1,2]}]})",
        "book.json");
    ASSERT_FALSE(bad);
    EXPECT_NE(bad.problem().what.find("rules, entry 1"), std::string::npos);
    EXPECT_FALSE(readRuleBook("{", "book.json"));
    EXPECT_FALSE(readRuleBook(R"({"format":"mezzet-rules 1"})", "book.json"));
}

TEST(RuleBook, APlaceThatIsLeftOpenIsRefused) {
    const auto with = [](const std::string& measures, const std::string& tight) {
        return readRuleBook(
            R"({"format":"mezzet-rules 1","unit":"in","schools":[{"id":"a","title":"A","says":"s"}],"rules":[{"id":"x","title":"X","measures":")" +
                measures + R"(","tight":")" + tight +
                R"(","right":"r","source":"s","quantity":"length","band":[1,2],"settings":{"near":60}}]})",
            "book.json");
    };
    ASSERT_TRUE(with("nearer than {near}", "{value}: it needs {low}"))
        << with("m", "t").problem().text();
    for (const auto& [measures, tight, says] :
         {std::tuple{"more than {high}", "t", "high"}, std::tuple{"m {near", "t", "brace"},
          std::tuple{"m near}", "t", "brace"}, std::tuple{"m", "{able", "brace"},
          std::tuple{"m", "{value}} is", "brace"}, std::tuple{"m", "{}", "brace"},
          std::tuple{"m", "{low{high}}", "brace"}}) {
        const auto read = with(measures, tight);
        ASSERT_FALSE(read) << measures << " / " << tight;
        EXPECT_NE(read.problem().what.find(says), std::string::npos) << read.problem().what;
    }
    for (const Rule& r : library().book->rules)
        EXPECT_EQ(r.measuresIn({}).find('{'), std::string::npos) << r.id;
}

TEST(RuleBook, EveryRuleHasCodeThatMeasuresIt) {
    for (const auto& r : library().book->rules) {
        EXPECT_FALSE(r.source.empty()) << r.id;
        EXPECT_FALSE(r.measures.empty()) << r.id;
    }
    EXPECT_EQ(library().book->rules.size(), 83U);
    EXPECT_FALSE(unpaired(*library().book));
    RuleBook more = *library().book;
    more.rules.push_back(more.rules.front());
    more.rules.back().id = "made-up";
    ASSERT_TRUE(unpaired(more));
    EXPECT_NE(unpaired(more)->what.find("made-up"), std::string::npos);
    RuleBook fewer = *library().book;
    std::erase_if(fewer.rules, [](const Rule& r) { return r.id == "clash"; });
    ASSERT_TRUE(unpaired(fewer));
    EXPECT_NE(unpaired(fewer)->what.find("clash"), std::string::npos);
}
