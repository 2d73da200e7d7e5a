// Where hooks go, what they are driven into, and where cables are likely.
#include "hang/hooks.h"
#include "jobs.h"
#include "judge/on_walls.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* studNotes() {
    return "room Studs\nceiling 8'\nwall A 12'\n  studs 16 apart, first 14 from left\n  outlet 40 "
           "from left, 14 up\n  switch 100 from left, 48 up\nwall B 10'\n  chimney 30 from left, "
           "56 "
           "wide, 14 deep\nwall C 12'\nwall D 10'\n";
}

HangOf hung(const Project& job, const char* name) {
    const auto scene = *sceneOf(job);
    const int id = job.scheme().byName(name)->id;
    for (const auto& h : hangAll(*scene, hookRules(*job.library.book)))
        if (h.piece == id)
            return h;
    throw std::runtime_error("it has no hooks");
}

} // namespace

TEST(Hooks, ARingsHookIsItsDropUnderTheTopInTheMiddle) {
    const auto job =
        jobWith({"round mirror 30 on wall A, centre 30 from left corner, centre at 58, "
                 "drop 1 1/2, weighs 20 lb"},
                studNotes());
    const auto h = hung(job, "Round mirror");
    ASSERT_EQ(h.hooks.size(), 1U);
    EXPECT_NEAR(h.hooks[0].along.inInches(), 30, 1e-9);
    EXPECT_NEAR(h.hooks[0].up.inInches(), 58 + 15 - 1.5, 1e-9);
    EXPECT_NEAR(h.hooks[0].fromCeiling.inInches(), 96 - 71.5, 1e-9);
    EXPECT_NEAR(h.hooks[0].fromRight.inInches(), 114, 1e-9);
    EXPECT_EQ(h.hooks[0].into, Fixing::stud) << "14 + 16 is a stud";
    EXPECT_NEAR(h.hooks[0].rated.lb(), 80, 1e-9) << "four times what it carries";
}

TEST(Hooks, TwoRingsGoToTheirSpacing) {
    const auto job = jobWith(
        {"large picture 40 x 30 on wall C, at 72, 60, on two rings 32 apart, drop 4"}, studNotes());
    const auto h = hung(job, "Large picture");
    ASSERT_EQ(h.hooks.size(), 2U);
    EXPECT_NEAR(h.hooks[0].along.inInches(), 56, 1e-9);
    EXPECT_NEAR(h.hooks[1].along.inInches(), 88, 1e-9);
    EXPECT_NEAR(h.hooks[0].up.inInches(), 71, 1e-9);
    EXPECT_NEAR(h.hooks[0].carries.kg() * 2, h.weight.kg(), 1e-9);
}

TEST(Hooks, AWireTakesTheWeightWhereItIsDrawnUpTo) {
    // Rings 16 apart and 6 down; a wire of 20 on one hook rises 6: its hook is at the very top.
    const auto job = jobWith({"picture 20 x 20 on wall C, at 72, 60, on a wire, one hook, rings 16 "
                              "apart, rings 7 down, slack 4"},
                             studNotes());
    const auto h = hung(job, "Picture");
    ASSERT_EQ(h.hooks.size(), 1U);
    EXPECT_NEAR(h.wire->rise.inInches(), 6, 1e-9) << "legs of 10 over 8";
    EXPECT_NEAR(h.hooks[0].up.inInches(), 70 - 1, 1e-9);
}

TEST(Hooks, AWidePieceGoesOnTwoHooksAtTheThirds) {
    const auto job = jobWith({"picture 36 x 24 on wall C, at 72, 60",
                              "add picture 20 x 24 on wall C called Two, at 20, 60"},
                             studNotes());
    EXPECT_EQ(hung(job, "Two").hooks.size(), 1U);
    const auto h = hung(job, "Picture");
    ASSERT_EQ(h.hooks.size(), 2U);
    EXPECT_NEAR((h.hooks[1].along - h.hooks[0].along) / h.ringSpacing, 1.0 / 3, 1e-9);
}

TEST(Hooks, ACleatTakesTheStudsBehindIt) {
    const auto job = jobWith({"full-length mirror 40 x 60 on wall A, at 54, 50"}, studNotes());
    const auto h = hung(job, "Full-length mirror");
    // From 36 to 72 the studs are 46 and 62.
    ASSERT_EQ(h.hooks.size(), 2U);
    EXPECT_NEAR(h.hooks[0].along.inInches(), 46, 1e-9);
    EXPECT_NEAR(h.hooks[1].along.inInches(), 62, 1e-9);
    EXPECT_TRUE(std::all_of(h.hooks.begin(), h.hooks.end(),
                            [](const HookPoint& k) { return k.into == Fixing::stud; }));
}

TEST(Hooks, OnABreastTheyAreMeasuredFromItsEdgeToo) {
    const auto job = jobWith({"small picture 10 x 10 on wall B, centred on chimney"}, studNotes());
    const auto h = hung(job, "Small picture");
    ASSERT_TRUE(h.hooks[0].onBreast);
    EXPECT_NEAR(h.hooks[0].onBreast->inInches(), 28, 1e-9);
    EXPECT_EQ(h.hooks[0].into, Fixing::plug) << "masonry has no studs";
}

TEST(Hooks, WhatLeansHasNone) {
    const auto job =
        jobWith({"sideboard 60 x 18 x 34 against wall C", "picture 20 x 24 leaned on sideboard"},
                studNotes());
    EXPECT_TRUE(hung(job, "Picture").hooks.empty());
    EXPECT_NEAR(poseOf(job, "Picture").at.y / 25.4, 34 + 12, 1e-9);
}

// BS 7671 522.6.202 (from memory): within 150 mm of the top of the wall and of an inner corner, and
// level with or straight over and under a point on it.
TEST(CableZone, IsUnderTheCeilingBesideInnerCornersAndAlongAnOutletsLines) {
    const auto job = jobWith({}, studNotes());
    const Room& room = *job.room;
    const HookRules rules = hookRules(*job.library.book);
    const auto zone = [&](double along, double up) {
        return cableZone(room, 0, {along * 25.4, up * 25.4}, rules);
    };
    EXPECT_EQ(zone(60, 91), "just under the ceiling");
    EXPECT_EQ(zone(60, 89), "");
    EXPECT_EQ(zone(5.5, 60), "beside the left corner");
    EXPECT_EQ(zone(144 - 5.5, 60), "beside the right corner");
    EXPECT_EQ(zone(6.5, 60), "");
    EXPECT_NE(zone(41, 60).find("above outlet"), std::string::npos);
    EXPECT_NE(zone(60, 15).find("level with outlet"), std::string::npos);
    EXPECT_NE(zone(98, 30).find("under switch"), std::string::npos);
    EXPECT_EQ(zone(44, 60), "") << "4 in off the outlet's line";
}

TEST(CableZone, AnOuterCornerIsNone) {
    const char* ell =
        "room L\nceiling 8'\nwall A 16'\nwall B 8'\nwall C 8'\ncorner out\nwall D 4'\nwall E "
        "8'\nwall F 12'\n";
    const auto job = jobWith({}, ell);
    const HookRules rules = hookRules(*job.library.book);
    EXPECT_EQ(cableZone(*job.room, 2, {7.8 * 304.8, 1500}, rules), "");
    EXPECT_EQ(cableZone(*job.room, 3, {50, 1500}, rules), "");
}

TEST(CableZone, AnOpenRoomsFirstEndIsNoCorner) {
    // Its last wall would turn in to the first, but stops short of it.
    const auto job =
        jobWith({}, "room Open\nceiling 8'\nwall A 12'\nwall B 10'\nwall C 12'\nwall D 6'\n");
    ASSERT_FALSE(job.room->closed);
    const HookRules rules = hookRules(*job.library.book);
    EXPECT_EQ(cableZone(*job.room, 0, {100, 1500}, rules), "");
    EXPECT_EQ(cableZone(*job.room, 0, {3650 - 92, 1500}, rules), "beside the right corner");
}

TEST(Cautions, AreSaidAtTheHeavyTheGlassAndWhatHangsOverHeads) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A, centred on wall A",
                              "mirror 40 x 40, 6 above sofa, weighs 60 lb", "sconce on wall C",
                              "wall cabinet on wall C, 20 from left corner"},
                             studNotes());
    const auto said = [&](const char* piece, const char* what) {
        const auto h = hung(job, piece);
        return std::any_of(h.cautions.begin(), h.cautions.end(),
                           [&](const std::string& c) { return c.find(what) != std::string::npos; });
    };
    EXPECT_TRUE(said("Mirror", "Over heads"));
    EXPECT_TRUE(said("Mirror", "Glass"));
    EXPECT_TRUE(said("Mirror", "Heavy"));
    EXPECT_TRUE(said("Sconce", "electrician"));
    EXPECT_TRUE(said("Wall cabinet", "studs"));
}

TEST(Brackets, GoOnStudsWhereThereAreTwoAndElseASixthIn) {
    const auto job = jobWith({"floating shelf 60 x 10 on wall A, at 54, 60",
                              "add floating shelf 36 x 10 on wall C called Plain"},
                             studNotes());
    const auto scene = *sceneOf(job);
    const auto rules = hookRules(*job.library.book);
    const auto on = bracketsOf(*scene, 0, rules);
    // 24 to 84: studs at 30, 46, 62, 78; 32 in apart are enough.
    ASSERT_EQ(on.size(), 3U);
    EXPECT_NEAR(on[0].inInches(), 6, 1e-9);
    EXPECT_NEAR(on[1].inInches(), 38, 1e-9);
    EXPECT_NEAR(on[2].inInches(), 54, 1e-9);
    const auto plain = bracketsOf(*scene, 1, rules);
    ASSERT_EQ(plain.size(), 2U);
    EXPECT_NEAR(plain[0].inInches(), 6, 1e-9);
}
