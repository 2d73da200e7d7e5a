// Room in use, ways to things, and the circle to turn in.
#include "geometry/gap.h"
#include "jobs.h"
#include "judge/use.h"
#include "judge/ways.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* notesInUse() {
    return "ceiling 8'\nwall A 20'\n window 8' from left, 4' wide, 4' high, sill 30, opens "
           "in\nwall B "
           "15'\nwall C 20'\n door 2' from left, 36 wide, 80 high, hinge left, swings out\nwall D "
           "15'";
}

const Reading* seenInUse(const Project& job, std::vector<Reading>& kept, const char* rule,
                         const char* piece, const char* other = nullptr) {
    kept = readingsOf(job);
    return find(kept, job, rule, piece, other);
}

std::string inchesOf(double v) {
    return fmt::format("{:.4f}in", v);
}

} // namespace

TEST(Access, AFrontThatOpensHasItsOwnBand) { // common practice; the kit's figure for drawers, 36
    std::vector<Reading> kept;
    const auto verdict = [&](double free) {
        const auto job = jobWith({"dresser against wall D, centred on wall D",
                                  "trunk 40 x 20 x 20 at " + inchesOf(20 + free + 20) + ", 90in"},
                                 notesInUse());
        const auto* r = seenInUse(job, kept, "access", "Dresser", "Trunk");
        return r == nullptr ? Verdict::note : r->verdict;
    };
    EXPECT_EQ(verdict(36), Verdict::right);
    EXPECT_EQ(verdict(35.99), Verdict::tight);
    EXPECT_EQ(verdict(36.01), Verdict::right);
    EXPECT_EQ(verdict(60), Verdict::note) << "far off there is nothing to tell";
}

TEST(Access, AWindowThatOpensInWantsItsSweepOverTheSill) {
    std::vector<Reading> kept;
    // A leaf of 24 in: two casements of a window of 48.
    const auto tall =
        jobWith({"bookcase 36 x 12 x 78 against wall A, centred on window 1"}, notesInUse());
    const auto* r = seenInUse(tall, kept, "access", "Bookcase", "window 1");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::tight);
    EXPECT_NEAR(*r->band.low / 25.4, 24, 1e-6);
    const auto low =
        jobWith({"low bookcase 48 x 12 x 30 against wall A, centred on window 1"}, notesInUse());
    EXPECT_EQ(seenInUse(low, kept, "access", "Low bookcase", "window 1"), nullptr)
        << "what is no taller than the sill stays under it";
}

TEST(Access, ForWhatOpensSeldomLightThingsAreMovedAside) {
    std::vector<Reading> kept;
    const auto job = jobWith({"sofa bed against wall C, centred on wall C",
                              "coffee table 14 from sofa bed, centred on sofa bed"},
                             notesInUse());
    EXPECT_EQ(seenInUse(job, kept, "access", "Sofa bed", "Coffee table"), nullptr);
    const auto heavy = jobWith({"sofa bed against wall C, centred on wall C",
                                "dresser 20 from sofa bed, centred on sofa bed"},
                               notesInUse());
    const auto* r = seenInUse(heavy, kept, "access", "Sofa bed", "Dresser");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::tight);
}

TEST(UseZones, ShowWhatEachThingTakesAndWhatStandsInIt) {
    const auto job =
        jobWith({"sideboard against wall A, 10 from corner AB", "round table 44 at 6', 9'",
                 "seat round table with 4", "trunk 30 x 16 x 20 at 17', 3'"},
                notesInUse());
    const auto zones = useZones(**sceneOf(job), *library().book);
    int chairs = 0;
    bool sideboard = false;
    for (const auto& z : zones) {
        if (z.says == "the chair drawn back")
            ++chairs;
        if (z.piece == job.scheme().byName("Sideboard")->id) {
            sideboard = true;
            EXPECT_LT(z.free, z.wanted);
            EXPECT_EQ(words(z.stops, job.wording()), "Trunk");
            EXPECT_EQ(z.outline.size(), 4U);
        }
    }
    EXPECT_EQ(chairs, 4);
    EXPECT_TRUE(sideboard);
}

TEST(WalkwayMinor, ToASeatIsReadAtItsBounds) { // common practice: at least 24
    std::vector<Reading> kept;
    const auto verdict = [&](double gap) {
        // A closet of two bookcases round an armchair, open by a gap before it.
        const auto job = jobWith({"armchair 30 x 33 at 15in, 60in, turned 270",
                                  "wide bookcase 72 x 14 x 84 called Upper at 60in, 30in",
                                  "wide bookcase 72 x 14 x 84 called Southern at 60in, 100in",
                                  "trunk 24 x 14 x 30 called Canal, turned 90, at " +
                                      inchesOf(96 - 7) + ", " + inchesOf(37 + gap + 12)},
                                 notesInUse());
        const auto* r = seenInUse(job, kept, "walkway-minor", "Canal", "Upper");
        if (r == nullptr)
            r = seenInUse(job, kept, "walkway-minor", "Upper", "Canal");
        return r == nullptr ? std::pair{Verdict::note, 0.0}
                            : std::pair{r->verdict, r->value.value / 25.4};
    };
    EXPECT_EQ(verdict(24).first, Verdict::right);
    EXPECT_EQ(verdict(23.9).first, Verdict::tight);
    EXPECT_NEAR(verdict(20).second, 20, 1e-3);
}

TEST(WalkwayMinor, ASeatIsReachedByItsFrontAndNotThroughItsBack) {
    std::vector<Reading> kept;
    const auto faced = [&](const char* turn) {
        const auto job = jobWith(
            {std::string("armchair 30 x 30 at 10', 30in, turned ") + turn,
             "bookcase 34 x 12 x 78 called Across 2in in front of armchair, centred on armchair"},
            notesInUse());
        return seenInUse(job, kept, "walkway-minor", "Armchair") != nullptr ||
               seenInUse(job, kept, "walkway-minor", "Across") != nullptr;
    };
    EXPECT_TRUE(faced("180")) << "a case right before it shuts it in";
    const auto open =
        jobWith({"armchair 30 x 30 at 10', 40in, turned 0",
                 "bookcase 34 x 12 x 78 called Across 2in behind armchair, centred on "
                 "armchair"},
                notesInUse());
    EXPECT_EQ(seenInUse(open, kept, "walkway-minor", "Armchair"), nullptr)
        << "what stands behind its back is in nobody's way";
}

TEST(WalkwayMinor, TwoSleepersGetInAtBothSidesAndOneAtTheBetter) {
    std::vector<Reading> kept;
    const auto wide = jobWith({"queen bed against wall A, 10 from corner AB"}, notesInUse());
    bool right = false;
    for (const auto& r : readingsOf(wide))
        right = right || (r.rule->id == "walkway-minor" && r.toMend());
    EXPECT_TRUE(right) << "ten inches beside a bed for two is no way in";
    const auto single = jobWith({"single bed against wall A, 10 from corner AB"}, notesInUse());
    for (const auto& r : readingsOf(single))
        EXPECT_FALSE(r.rule->id == "walkway-minor" && r.toMend())
            << words(r.value, single.notation);
}

TEST(WalkwayMain, IsReadAgainWithChairsInUse) {
    // A table whose chairs, drawn back, narrow the way between two doors.
    const char* notes =
        "ceiling 8'\nwall A 20'\nwall B 12'\n door 4' 6\" from left, 36 wide, hinge left, "
        "swings out\nwall C 20'\nwall D 12'\n door 4' 6\" from left, 36 wide, hinge "
        "left, swings out";
    const auto job =
        jobWith({"dining table 60 x 36 x 30 at 10', 4' 6\"", "seat dining table with 4",
                 "bookcase 120 x 12 x 78 against wall A, centred on wall A"},
                notes);
    std::optional<double> tucked;
    std::optional<double> used;
    for (const auto& r : readingsOf(job))
        if (r.rule->id == "walkway-main")
            (r.inUse ? used : tucked) = r.value.value / 25.4;
    ASSERT_TRUE(used);
    // The table's edge is 72 from wall C; a chair in use reaches 24 behind it, so 48 are left; the
    // chairs as they stand leave more.
    EXPECT_NEAR(*used, 144 - 54 - 18 - 24, 1e-3);
    if (tucked)
        EXPECT_GT(*tucked, *used);
}

TEST(WalkwayMain, AnOpenLeafStandsInTheWay) {
    const char* notes =
        "ceiling 8'\nwall A 20'\nwall B 12'\n door 4' 6\" from left, 36 wide, hinge left, "
        "swings out\nwall C 20'\n door 5' from left, 36 wide, hinge left, swings in\n"
        "wall D 12'";
    std::vector<Reading> kept;
    const auto job = jobWith({"trunk 20 x 60 x 30 called Chest at 144in, 48in"}, notes);
    bool byLeaf = false;
    for (const auto& r : readingsOf(job))
        byLeaf =
            byLeaf || (r.rule->id == "walkway-main" && words(r.other, job.wording()) == "door 2");
    EXPECT_TRUE(byLeaf) << "the way goes between the chest and the leaf's tip";
}

TEST(TurningCircle, IsReadOnlyForAccessAtItsBound) { // ADA 2010 304.3.1, from memory: 60
    const auto verdict = [](double width) {
        const auto notes =
            fmt::format("ceiling 8'\nwall A {0:.4f}in\nwall B 20'\nwall C {0:.4f}in\n door "
                        "4in from left, 36 wide, hinge left, swings out\nwall D 20'",
                        width);
        const auto job = jobWith({"trunk 20 x 10 x 20 in corner AB", "access on"}, notes.c_str());
        for (const auto& r : readingsOf(job))
            if (r.rule->id == "turning-circle")
                return std::pair{r.verdict, r.value.value / 25.4};
        return std::pair{Verdict::note, 0.0};
    };
    EXPECT_EQ(verdict(60.1).first, Verdict::right);
    EXPECT_EQ(verdict(59.9).first, Verdict::tight);
    EXPECT_NEAR(verdict(55).second, 55, 0.05) << "as wide as the room, to half a millimetre";
    const auto without = jobWith({"sofa at 8', 8'"}, notesInUse());
    for (const auto& r : readingsOf(without))
        EXPECT_NE(r.rule->id, "turning-circle");
}

TEST(DrawnWays, KeepClearOfWhatStandsThere) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'", "armchair at 16', 4', turned 90",
                              "dresser against wall A, 10 from corner AB"},
                             notesInUse());
    const auto scene = *sceneOf(job);
    const int chair = job.scheme().byName("Armchair")->id;
    const auto ways = waysToDraw(*scene, *library().book, job.judgement, chair);
    ASSERT_FALSE(ways.empty());
    const auto& line = ways.front().line;
    ASSERT_GE(line.size(), 2U);
    const Shape& sofa = scene->byId(job.scheme().byName("Sofa")->id)->shape;
    for (std::size_t i = 0; i + 1 < line.size(); ++i)
        EXPECT_GT(gapBetween(stretch({line[i], line[i + 1]}), sofa).apart.mm(), 150);
    // Through the middle of the door, whose niche it begins in.
    const Wall& wall = job.room->walls[static_cast<std::size_t>(job.room->openings[1].wall)];
    const Vec2 from = line.front() - middleOf(*job.room, job.room->openings[1]);
    EXPECT_NEAR(dot(from, wall.along()), 0, 1e-6) << "it begins at the door";
    EXPECT_LT(dot(from, wall.inward()), 0);
}

TEST(DinerWidth, OnTheFullestSideAtItsBound) { // planning handbooks, from memory: 24
    const auto verdict = [](double width) {
        const auto job = jobWith({"dining table " + inchesOf(width) + " x 36in x 30in at 10', 7'",
                                  "seat dining table with 6"},
                                 notesInUse());
        const auto all = readingsOf(job);
        const auto* r = find(all, job, "diner-width", "Dining table");
        return std::pair{r->verdict, r->value.value / 25.4};
    };
    EXPECT_EQ(verdict(48).first, Verdict::right);
    EXPECT_EQ(verdict(47.9).first, Verdict::tight);
    EXPECT_NEAR(verdict(60).second, 30, 1e-6);
    const auto round =
        jobWith({"round table 48 at 10', 7'", "seat round table with 6"}, notesInUse());
    const auto all = readingsOf(round);
    EXPECT_NEAR(find(all, round, "diner-width", "Round table")->value.value / 25.4,
                3.14159265358979 * 48 / 6, 1e-6);
}
