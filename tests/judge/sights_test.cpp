// What is seen: backs, entries, screens, sills, scale.
#include "jobs.h"
#include "judge/sights.h"

#include <fmt/format.h>

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* hall() {
    return "ceiling 8'\nwall A 20'\n window 8' from left, 6' wide, 4' high, sill 30\nwall B "
           "15'\nwall C "
           "20'\n door 8' from left, 36 wide, 80 high, hinge left, swings out\nwall D 15'";
}

const Reading* seen(const Project& job, std::vector<Reading>& kept, const char* rule,
                    const char* piece, const char* other = nullptr) {
    kept = readingsOf(job);
    return find(kept, job, rule, piece, other);
}

} // namespace

TEST(FinishedBack, AServingPieceBeforeAWindowShowsItsBackToTheStreet) {
    std::vector<Reading> kept;
    const auto job =
        jobWith({"sideboard 60 x 18 x 34 against wall A, centred on window 1"}, hall());
    const auto* r = seen(job, kept, "finished-back", "Sideboard", "window 1");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value, 1, 1e-9) << "all of it stands before the glass";
    const auto lower =
        jobWith({"sideboard 60 x 18 x 29 against wall A, centred on window 1"}, hall());
    EXPECT_EQ(seen(lower, kept, "finished-back", "Sideboard"), nullptr) << "the sill hides it";
    const auto elsewhere = jobWith({"sideboard against wall D, centred on wall D"}, hall());
    EXPECT_EQ(seen(elsewhere, kept, "finished-back", "Sideboard"), nullptr);
    const auto finished =
        jobWith({"sideboard against wall A, centred on window 1, finished back"}, hall());
    EXPECT_EQ(seen(finished, kept, "finished-back", "Sideboard"), nullptr);
}

TEST(FinishedBack, FloatingItIsSeenFromTheDoorUnlessSomethingHidesIt) {
    std::vector<Reading> kept;
    // The door is in C, below; a bookcase that looks up shows it its back.
    const auto job = jobWith({"bookcase 36 x 12 x 78 at 10', 7', turned 180"}, hall());
    const auto* r = seen(job, kept, "finished-back", "Bookcase", "door 1");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::loose);
    const auto hidden =
        jobWith({"bookcase 36 x 12 x 78 at 10', 7', turned 180",
                 "wide wardrobe 72 x 25 x 82 called Screen at 10', 9', finished back"},
                hall());
    EXPECT_EQ(seen(hidden, kept, "finished-back", "Bookcase"), nullptr);
    const auto turned =
        jobWith({"bookcase 36 x 12 x 78 at 10', 7', turned 0, finished back"}, hall());
    EXPECT_EQ(seen(turned, kept, "finished-back", "Bookcase"), nullptr);
    const auto remedy =
        remedyFor(*seen(job, kept, "finished-back", "Bookcase"), job, **sceneOf(job), kept);
    ASSERT_TRUE(remedy);
}

TEST(SillGap, TellsTheGapAndWhatLiesBelowTheSill) {
    std::vector<Reading> kept;
    const auto job =
        jobWith({"sofa 84 x 36 x 28 against wall A, gap 9, centred on window 1"}, hall());
    const auto* r = seen(job, kept, "sill-gap", "Sofa", "window 1");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::note);
    EXPECT_NEAR(r->value.value / 25.4, 9, 1e-6);
    EXPECT_NEAR(r->second.value / 25.4, 2, 1e-6);
    const auto high =
        jobWith({"sofa 84 x 36 x 34 against wall A, gap 9, centred on window 1"}, hall());
    EXPECT_EQ(seen(high, kept, "sill-gap", "Sofa"), nullptr);
}

TEST(Scale, ASofaAgainstItsWallAndAllAgainstTheFloor) { // common practice: 0.75, 0.60
    std::vector<Reading> kept;
    const auto verdict = [&](double width) {
        const auto job = jobWith(
            {fmt::format("sofa {:.4f}in x 36in against wall D, centred on wall D", width)}, hall());
        return seen(job, kept, "scale", "Sofa", "wall D")->verdict;
    };
    EXPECT_EQ(verdict(15 * 12 * 0.75), Verdict::right);
    EXPECT_EQ(verdict(15 * 12 * 0.75 + 0.1), Verdict::loose);
    const auto full = jobWith({"trunk 216 x 130 x 20 at 10', 7' 6\""}, hall());
    kept = readingsOf(full);
    bool told = false;
    for (const auto& r : kept)
        if (r.rule->id == "scale" && r.piece == 0) {
            told = true;
            EXPECT_EQ(r.verdict, Verdict::loose);
            EXPECT_NEAR(r.value.value, 216.0 * 130 / (240 * 180), 1e-3);
        }
    EXPECT_TRUE(told);
}

TEST(EntryView, NamesWhatIsMetStraightAheadAndTheShareOfBacks) {
    std::vector<Reading> kept;
    const auto job = jobWith({"sofa 84 x 36 x 34 at 10' 6\", 7', turned 0"}, hall());
    const auto* r = seen(job, kept, "entry-view", "Sofa", "door 1");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value, 0, 1e-9) << "it looks at the door";
    const auto turned = jobWith({"sofa 84 x 36 x 34 at 10' 6\", 7', turned 180"}, hall());
    const auto* back = seen(turned, kept, "entry-view", "Sofa", "door 1");
    ASSERT_NE(back, nullptr);
    // The share by angle, worked by hand: its front edge from a point a millimetre into the room.
    const double near = 180 - 84 - 18 - 1 / 25.4;
    const double left = std::atan2(10.5 * 12 + 42 - (240 - 96 - 18), near);
    const double right = std::atan2(10.5 * 12 - 42 - (240 - 96 - 18), near);
    EXPECT_NEAR(back->value.value, (left - right) / (3.14159265358979 - 0.02), 0.03);
}

TEST(ScreenDistance,
     ThirtyDegreesAcrossIsOneAndSevenEighthWidths) { // SMPTE EG 18-1994, from memory
    std::vector<Reading> kept;
    const auto job = jobWith({"media console against wall A, centred on wall A",
                              "television 56 x 4 x 33 at 10', 9in", "sofa at 10', 10', turned 180"},
                             hall());
    const auto* r = seen(job, kept, "screen-distance", "Sofa", "Television");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(*r->band.high / (56 * 25.4), 1.866, 0.001);
    const double far = 120 - (9 + 2);
    EXPECT_NEAR(r->value.value / 25.4, far, 1e-6);
    EXPECT_NEAR(r->second.value, 2 * std::atan2(28, far) * 180 / 3.14159265358979, 1e-6);
    const auto hidden = jobWith(
        {"media console against wall A, centred on wall A", "television 56 x 4 x 33 at 10', 9in",
         "sofa at 10', 10', turned 180", "bookcase 36 x 12 x 78 at 10', 5'"},
        hall());
    EXPECT_EQ(seen(hidden, kept, "screen-distance", "Sofa"), nullptr);
}

TEST(ScreenDistance, OneThatHangsIsSeenAsOneThatStands) {
    std::vector<Reading> kept;
    const auto job = jobWith({"sofa at 10', 10', turned 180",
                              "wall screen 56 x 33 x 3 on wall A, centred on wall A, centre at 40"},
                             hall());
    const auto* r = seen(job, kept, "screen-distance", "Sofa", "Wall screen");
    ASSERT_NE(r, nullptr);
    // From the middle of the seat to the face, three inches off its wall.
    const double far = 120 - 3;
    EXPECT_NEAR(r->value.value / 25.4, far, 1e-6);
    EXPECT_NEAR(r->second.value, 2 * std::atan2(28, far) * 180 / 3.14159265358979, 1e-6);
    // What stands before it and rises over the line hides it; a low chest does not.
    const auto behind = [&](const char* what) {
        const auto other =
            jobWith({"sofa at 10', 10', turned 180",
                     "wall screen 56 x 33 x 3 on wall A, centred on wall A, centre at 40", what},
                    hall());
        return seen(other, kept, "screen-distance", "Sofa") == nullptr;
    };
    EXPECT_TRUE(behind("bookcase 36 x 12 x 78 at 10', 5'"));
    EXPECT_FALSE(behind("bookcase 36 x 12 x 24 at 10', 5'"));
    // From a seat that looks the other way it is not seen.
    const auto away = jobWith(
        {"sofa at 10', 10', turned 0", "wall screen 56 x 33 x 3 on wall A, centred on wall A"},
        hall());
    EXPECT_EQ(seen(away, kept, "screen-distance", "Sofa"), nullptr);
}

TEST(ScreenToConsole, AtItsBounds) { // common practice: two thirds, 0.60 to 0.75
    std::vector<Reading> kept;
    const auto verdict = [&](double width) {
        const auto job = jobWith(
            {"media console 80 x 18 x 24 against wall D, centred on wall D",
             fmt::format("television {:.4f}in x 4in x 33in at 9in, 90in, turned 270", width)},
            hall());
        return seen(job, kept, "screen-to-console", "Television", "Media console")->verdict;
    };
    EXPECT_EQ(verdict(48), Verdict::right);
    EXPECT_EQ(verdict(47.9), Verdict::tight);
    EXPECT_EQ(verdict(60), Verdict::right);
    EXPECT_EQ(verdict(60.1), Verdict::loose);
}

TEST(ScreenGlare, MirrorsTheWindowBehindTheSeat) { // the law of reflection
    std::vector<Reading> kept;
    // The window is in A; a screen on wall C looks at it, and the sofa stands between.
    const auto job = jobWith({"media console 60 x 18 x 24 against wall C, 40 from corner CD",
                              "television 56 x 4 x 33 at 70in, 171in, turned 180",
                              "sofa 84 x 36 at 70in, 80in, turned 0"},
                             hall());
    const auto* r = seen(job, kept, "screen-glare", "Television", "window 1");
    ASSERT_NE(r, nullptr);
    // Worked by hand in the unfolded room: eye mirrored across the screen's face at y = 169.
    const double image = 2 * 169 - 80;
    const double spread = image / (image - 169);
    const double left = 70 - 28 * spread;
    const double right = 70 + 28 * spread;
    const double low = std::max(left, 96.0);
    const double high = std::min(right, 168.0);
    EXPECT_NEAR(r->value.value, std::max(0.0, high - low) / 72, 1e-6);
}

TEST(Views, FromASeatAndFromOutside) {
    const auto job = jobWith({"sofa 84 x 36 x 34 at 10', 12', turned 180",
                              "bookcase 36 x 12 x 78 against wall A, centred on window 1"},
                             hall());
    const auto scene = *sceneOf(job);
    const auto from = viewFromSeat(*scene, job.scheme().byName("Sofa")->id);
    ASSERT_TRUE(from.first);
    EXPECT_EQ(words(*from.first, job.wording()), "Bookcase");
    const auto outside = viewFromOutside(*scene, job.room->openings[0]);
    ASSERT_FALSE(outside.items.empty());
    EXPECT_EQ(words(*outside.first, job.wording()), "Bookcase");
    EXPECT_TRUE(outside.items.front().backSeen);
    double sum = 0;
    for (const auto& i : from.items)
        sum += i.share;
    EXPECT_NEAR(sum, 1, 1e-9);
}
