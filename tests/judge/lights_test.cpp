// Rules about lights, at, inside and outside their bounds (common practice, but where a source is
// named).
#include "judge/seen.h"

#include "judge/lux.h"

#include "edit/edit.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const std::string roundTable = "round table 54 called supper table at 10', 8'";

/// A plain room with another ceiling, in inches.
std::string underCeiling(double high) {
    std::string notes = plainNotes();
    const auto at = notes.find("8'");
    return notes.replace(at, 2, in(high));
}

Verdict overTable(double gap, double ceiling = 96) {
    const auto notes = underCeiling(ceiling);
    return readingOf({roundTable,
                      "pendant 30 x 30 over supper table, " + in(gap) + " above supper table"},
                     "pendant-over-table", "Pendant", "supper table", notes.c_str())
        .verdict;
}

} // namespace

TEST(PendantOverTable, AtInsideAndOutsideEachBound) {
    EXPECT_EQ(overTable(30), Verdict::right);
    EXPECT_EQ(overTable(29.99), Verdict::tight);
    EXPECT_EQ(overTable(30.01), Verdict::right);
    EXPECT_EQ(overTable(36), Verdict::right);
    EXPECT_EQ(overTable(36.01), Verdict::loose);
    EXPECT_EQ(overTable(35.99), Verdict::right);
}

TEST(PendantOverTable, RisesWithAHighCeilingProRata) {
    // Three inches for every foot over eight: at 9 ft 33 to 39, at 8 1/2 ft half of it more.
    EXPECT_EQ(overTable(33, 108), Verdict::right);
    EXPECT_EQ(overTable(32.99, 108), Verdict::tight);
    EXPECT_EQ(overTable(39, 108), Verdict::right);
    EXPECT_EQ(overTable(39.01, 108), Verdict::loose);
    EXPECT_EQ(overTable(31.5, 102), Verdict::right);
    EXPECT_EQ(overTable(31.49, 102), Verdict::tight);
    // Under a low one it is as under a usual one.
    EXPECT_EQ(overTable(30, 90), Verdict::right);
}

TEST(PendantOverTable, ARemedyHangsItWhereItBelongs) {
    const auto job =
        jobWith({roundTable, "pendant 30 x 30 over supper table, 50 above supper table"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "pendant-over-table", "Pendant");
    ASSERT_NE(r, nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), all);
    ASSERT_TRUE(remedy);
    const auto after = apply(job, remedy->edit);
    ASSERT_TRUE(after);
    const auto now = readingsOf(*after->project);
    EXPECT_EQ(find(now, *after->project, "pendant-over-table", "Pendant")->verdict, Verdict::right);
    EXPECT_TRUE(readLine(remedy->line, job)) << remedy->line;
}

TEST(PendantOverIsland, GoesByIslandsAndCounters) {
    const auto verdict = [](double gap) {
        return readingOf(
                   {"kitchen island 60 x 30 x 36 at 10', 8'",
                    "small pendant over kitchen island, " + in(gap) + " above kitchen island"},
                   "pendant-over-island", "Small pendant")
            .verdict;
    };
    EXPECT_EQ(verdict(30), Verdict::right);
    EXPECT_EQ(verdict(29.99), Verdict::tight);
    EXPECT_EQ(verdict(36), Verdict::right);
    EXPECT_EQ(verdict(36.01), Verdict::loose);
}

TEST(PendantSight, IsTheWorstOfAllWhoSitAcross) {
    // Seats at 18, eyes 0.46 of 66 over them: 48.36 up. A table of 30: 18.36 over its top.
    const auto value = [](double gap) {
        return readingOf(
            {"dining table 72 x 38 x 30 at 10', 8'", "seat dining table with 4",
             "pendant 24 x 24 x 12 over dining table, " + in(gap) + " above dining table"},
            "pendant-sight", "Pendant");
    };
    EXPECT_EQ(value(19).verdict, Verdict::right);
    const auto low = value(12);
    EXPECT_EQ(low.verdict, Verdict::loose);
    EXPECT_NEAR(low.value, 18 + 0.46 * 66 - (30 + 12), 0.51);
    // They see over one that hangs wholly under their eyes.
    EXPECT_EQ(value(1).verdict, Verdict::right);
    // Nobody at the table: nobody's sight.
    EXPECT_FALSE(readingOf({"dining table 72 x 38 x 30 at 10', 8'",
                            "pendant over dining table, 12 above dining table"},
                           "pendant-sight", "Pendant")
                     .there);
}

TEST(PendantSize, GoesByTheShorterSide) {
    const auto verdict = [](double width) {
        return readingOf({"dining table 72 x 40 x 30 at 10', 8'",
                          "pendant " + in(width) + " x " + in(width) +
                              " over dining table, 33 above dining table"},
                         "pendant-size", "Pendant")
            .verdict;
    };
    EXPECT_EQ(verdict(20), Verdict::right);
    EXPECT_EQ(verdict(19.99), Verdict::tight);
    EXPECT_EQ(verdict(26.8), Verdict::right);
    EXPECT_EQ(verdict(26.81), Verdict::loose);
}

TEST(PendantSpacing, SeveralAreEvenAndInsideTheEnds) {
    const auto value = [](double x1, double x2, double x3) {
        return readingOf({"dining table 96 x 40 x 30 at 10', 8'",
                          fmt::format("add small pendant at {}in, 8', bottom at 63", 120 + x1),
                          fmt::format("add small pendant at {}in, 8', bottom at 63", 120 + x2),
                          fmt::format("add small pendant at {}in, 8', bottom at 63", 120 + x3)},
                         "pendant-spacing", "Small pendant");
    };
    EXPECT_EQ(value(-30, 0, 30).verdict, Verdict::right);
    EXPECT_NEAR(value(-30, 0, 30).value, 0, 1e-6);
    EXPECT_NEAR(value(-30, 2, 30).value, 4, 1e-6);
    EXPECT_EQ(value(-30, 2, 30).verdict, Verdict::loose);
    // The outer ones reach 4 past their middles, and the table ends at 48.
    EXPECT_NEAR(value(-46, 0, 46).value, 2, 1e-3);
}

TEST(FixtureHeadroom, IsOfWhatOneWalksUnder) { // ADA 2010 307.4: never under 80
    const auto verdict = [](double bottom) {
        return readingOf({"pendant at 10', 8', bottom at " + in(bottom)}, "fixture-headroom",
                         "Pendant")
            .verdict;
    };
    EXPECT_EQ(verdict(84), Verdict::right);
    EXPECT_EQ(verdict(83.99), Verdict::tight);
    EXPECT_EQ(verdict(80), Verdict::tight);
    EXPECT_EQ(verdict(79.99), Verdict::clash);
    // Over a table nobody walks.
    EXPECT_FALSE(readingOf({roundTable, "pendant over supper table, 33 above supper table"},
                           "fixture-headroom", "Pendant")
                     .there);
}

TEST(FixtureRoomSize, IsRightWithinAQuarterOfTheSum) {
    // 20 ft and 15 ft: 35 inches, from 26 1/4 to 43 3/4.
    const auto verdict = [](double width) {
        return readingOf(
                   {fmt::format("chandelier {0}in x {0}in at 10', 7' 6\", bottom at 84", width)},
                   "fixture-room-size", "Chandelier")
            .verdict;
    };
    EXPECT_EQ(verdict(26.25), Verdict::right);
    EXPECT_EQ(verdict(26.24), Verdict::tight);
    EXPECT_EQ(verdict(43.75), Verdict::right);
    EXPECT_EQ(verdict(43.76), Verdict::loose);
}

TEST(RecessedCount, IsFloorToEachLight) {
    const auto of = [](int count) {
        std::vector<std::string> lines;
        for (int i = 0; i < count; ++i)
            lines.push_back(fmt::format("add recessed light at {}in, 8'", 40 + 10 * i));
        const auto job = jobWith(lines);
        const auto all = readingsOf(job);
        for (const Reading& r : all)
            if (r.rule->id == "recessed-count")
                return std::pair{r.value.value, r.verdict};
        return std::pair{0.0, Verdict::note};
    };
    // 300 square feet.
    EXPECT_NEAR(of(12).first, 25, 1e-9);
    EXPECT_EQ(of(12).second, Verdict::right);
    EXPECT_NEAR(of(15).first, 20, 1e-9);
    EXPECT_EQ(of(15).second, Verdict::right);
    EXPECT_EQ(of(16).second, Verdict::tight);
    EXPECT_EQ(of(11).second, Verdict::loose);
    EXPECT_EQ(of(2).second, Verdict::note);
}

TEST(RecessedEdge, IsFromTheWallOrOverTheFrontOfWhatStandsThere) {
    const auto bare = [](double away) {
        return readingOf({fmt::format("recessed light at 10', {}in", away)}, "recessed-edge",
                         "Recessed light")
            .verdict;
    };
    EXPECT_EQ(bare(30), Verdict::right);
    EXPECT_EQ(bare(29.99), Verdict::tight);
    EXPECT_EQ(bare(42), Verdict::right);
    EXPECT_EQ(bare(42.01), Verdict::loose);
    // A counter 25 deep: over its front, within 3.
    const auto counter = [](double away) {
        return readingOf({"kitchen counter 72 x 25 x 36 against wall A, centred on wall A",
                          fmt::format("recessed light at 10', {}in", away)},
                         "recessed-edge", "Recessed light")
            .verdict;
    };
    EXPECT_EQ(counter(25), Verdict::right);
    EXPECT_EQ(counter(28), Verdict::right);
    EXPECT_EQ(counter(28.01), Verdict::loose);
    EXPECT_EQ(counter(21.99), Verdict::tight);
}

TEST(RecessedTask, HandsAreNotInTheirOwnShadow) {
    const auto of = [](double away) {
        return readingOf({"kitchen counter 72 x 25 x 36 against wall A, centred on wall A",
                          fmt::format("recessed light at 10', {}in", away)},
                         "recessed-task", "Kitchen counter");
    };
    // Over the front edge it reaches the hands; behind the back it doesn't.
    EXPECT_EQ(of(25).verdict, Verdict::right);
    EXPECT_NEAR(of(25).value, 1, 1e-9);
    EXPECT_EQ(of(60).verdict, Verdict::tight);
    EXPECT_NEAR(of(60).value, 0, 1e-9);
    // Beside the person it passes by the shoulder.
    EXPECT_EQ(readingOf({"kitchen counter 72 x 25 x 36 against wall A, centred on wall A",
                         "recessed light at 13', 50in"},
                        "recessed-task", "Kitchen counter")
                  .verdict,
              Verdict::right);
    // Far off it is no light for the work.
    EXPECT_EQ(of(170).verdict, Verdict::tight);
}

TEST(LightZones, TwoKindsDontShareOnePlace) {
    const auto of = [](double apart) {
        return readingOf({"pendant 12 x 12 at 10', 8', bottom at 84",
                          fmt::format("recessed light at {}in, 8'", 120 + apart)},
                         "light-zones", "Recessed light");
    };
    EXPECT_EQ(of(6 + 8).verdict, Verdict::right);
    EXPECT_EQ(of(6 + 7.99).verdict, Verdict::tight);
    EXPECT_FALSE(of(60).there);
}

TEST(Joists, AreMovedForNobody) {
    // Joists along wall A, the first 8 in out, 16 apart, 1 1/2 thick; a hole of 6.
    std::string notes = plainNotes();
    notes.insert(notes.find("wall A"), "joists 16 apart, first 8 from wall A\n");
    const auto of = [&](double away) {
        return readingOf({fmt::format("recessed light at 10', {}in", away)}, "joists",
                         "Recessed light", nullptr, notes.c_str());
    };
    // Between two of them, at 40 and 56: from 43 3/4 to 52 1/4.
    EXPECT_EQ(of(48).verdict, Verdict::right);
    EXPECT_NEAR(of(48).value, 4.25, 1e-6);
    EXPECT_EQ(of(43.75).verdict, Verdict::right);
    EXPECT_EQ(of(43.74).verdict, Verdict::clash);
    EXPECT_EQ(of(52.25).verdict, Verdict::right);
    EXPECT_EQ(of(52.26).verdict, Verdict::clash);
    EXPECT_FALSE(readingOf({"recessed light at 10', 48in"}, "joists", "Recessed light").there);
}

TEST(LampShade, IsLevelWithASeatedEye) { // from memory
    const auto standing = [](double height) {
        return readingOf({"armchair at 10', 8'",
                          fmt::format("floor lamp 16 x 16 x {}in beside armchair", height)},
                         "lamp-shade", "Floor lamp");
    };
    // Its shade's foot is at 44 of its 60.
    EXPECT_NEAR(standing(60).value, 44, 1e-6);
    EXPECT_EQ(standing(60).verdict, Verdict::right);
    EXPECT_EQ(standing(54).verdict, Verdict::tight);
    EXPECT_EQ(standing(68).verdict, Verdict::loose);
    const auto onTable = [](double top) {
        return readingOf({"armchair at 10', 8'",
                          fmt::format("side table 20 x 20 x {}in beside armchair", top),
                          "table lamp on side table"},
                         "lamp-shade", "Table lamp");
    };
    EXPECT_EQ(onTable(24).verdict, Verdict::right);
    EXPECT_EQ(onTable(22).verdict, Verdict::tight);
    EXPECT_EQ(onTable(27).verdict, Verdict::loose);
}

TEST(LightRules, ABareLampInSightDazzles) {
    // An armchair looks down the room; its eye to the lamp makes the angle.
    const auto off = [](const char* lantern, const std::vector<std::string>& more = {}) {
        std::vector<std::string> lines{"armchair against wall A, centred on wall A", lantern};
        lines.insert(lines.end(), more.begin(), more.end());
        const auto job = jobWith(lines);
        const auto scene = *sceneOf(job);
        std::optional<Reading> found;
        for (const Reading& r : luxReadings(job, *scene))
            if (r.rule->id == "glare")
                found = r;
        return found;
    };
    const auto ahead = off("lantern pendant at 10', 12', drop 40");
    ASSERT_TRUE(ahead);
    EXPECT_LT(ahead->value.value, 45);
    EXPECT_EQ(ahead->verdict, Verdict::note);
    // Behind the chair and far aside it is out of sight; a shaded one is never bare.
    EXPECT_FALSE(off("lantern pendant at 2', 2', drop 40"));
    EXPECT_FALSE(off("pendant at 10', 12', drop 40"));
    // A tall thing between hides it.
    EXPECT_FALSE(off("lantern pendant at 10', 14', drop 60", {"wardrobe at 10', 8'"}));
}
