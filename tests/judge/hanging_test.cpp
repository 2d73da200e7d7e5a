// The rules of the walls at, inside and outside their bounds, and what is offered to mend them.
#include "jobs.h"
#include "judge/on_walls.h"

#include <fmt/format.h>

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Verdict verdict(const Project& job, const char* rule, const char* piece,
                const char* other = nullptr) {
    const auto all = readingsOf(job);
    const auto* r = find(all, job, rule, piece, other);
    if (r == nullptr)
        throw std::runtime_error(fmt::format("no {} of {}", rule, piece));
    return r->verdict;
}
bool judged(const Project& job, const char* rule, const char* piece) {
    const auto all = readingsOf(job);
    return find(all, job, rule, piece) != nullptr;
}
std::optional<Remedy> remedy(const Project& job, const char* rule, const char* piece) {
    const auto scene = *sceneOf(job);
    const auto all = readingsOf(job);
    return remedyFor(*find(all, job, rule, piece), job, *scene, all);
}
Project pictureAt(double centre, const char* school = "low-and-close") {
    return jobWith({fmt::format("school {}", school),
                    fmt::format("picture 30 x 24 on wall B, centre at {}", centre)});
}
Project overSofa(const std::string& rest, std::vector<std::string> more = {}) {
    std::vector<std::string> lines{"sofa 84 x 36 x 34 against wall C, centred on wall C",
                                   "picture 54 x 30, " + rest};
    lines.insert(lines.end(), more.begin(), more.end());
    return jobWith(lines);
}

} // namespace

// Common practice: 57 to 60 to the centre, or 60 to 66 by who looks.
TEST(ArtCentre, AtItsBoundsInBothSchools) {
    EXPECT_EQ(verdict(pictureAt(57), "art-centre", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(pictureAt(60), "art-centre", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(pictureAt(56.95), "art-centre", "Picture"), Verdict::tight);
    EXPECT_EQ(verdict(pictureAt(60.05), "art-centre", "Picture"), Verdict::loose);
    EXPECT_EQ(verdict(pictureAt(60, "viewer-and-air"), "art-centre", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(pictureAt(66, "viewer-and-air"), "art-centre", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(pictureAt(66.1, "viewer-and-air"), "art-centre", "Picture"), Verdict::loose);
}

TEST(ArtCentre, FollowsTheHouseholdsOwnEyes) {
    for (const auto& [said, at] :
         {std::pair{"short", 60.0}, {"mixed", 63.0}, {"public", 63.0}, {"tall", 66.0}}) {
        auto job = jobWith({"school viewer-and-air", fmt::format("household {}", said),
                            fmt::format("picture 30 x 24 on wall B, centre at {}", at)});
        EXPECT_EQ(verdict(job, "art-centre", "Picture"), Verdict::right) << said;
        job = jobWith({"school viewer-and-air", fmt::format("household {}", said),
                       fmt::format("picture 30 x 24 on wall B, centre at {}", at + 1.6)});
        EXPECT_EQ(verdict(job, "art-centre", "Picture"), Verdict::loose) << said;
    }
}

TEST(ArtCentre, GivesWayToTheFurnitureAndSaysByHowMuch) {
    // Over a 34 high sofa a 30 high picture 6 above it has its centre at 55: two under eye level.
    const auto job = overSofa("6 above sofa");
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "art-centre", "Picture");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::note);
    EXPECT_NEAR(r->second.length().inInches(), 2, 1e-6);
    EXPECT_EQ(verdict(job, "art-above", "Picture"), Verdict::right);
    EXPECT_NE(whyOf(*r, job.wording()).find("gives 2\""), std::string::npos);
}

TEST(ArtCentre, AtEyeLevelOverTheSofaTheSettlingValueIsOffered) {
    const auto job = overSofa("at eye level, centred on sofa");
    // At 58 1/2 it is 9 1/2 above; 6 above is the nearest the furniture allows.
    EXPECT_EQ(verdict(job, "art-above", "Picture"), Verdict::loose);
    const auto mend = remedy(job, "art-above", "Picture");
    ASSERT_TRUE(mend);
    EXPECT_NE(mend->line.find("above Sofa"), std::string::npos) << mend->line;
    EXPECT_EQ(verdict(*apply(job, mend->edit)->project, "art-above", "Picture"), Verdict::right);
}

TEST(ArtCentre, BothHoldOverWhatIsLow) {
    const auto job = jobWith({"low bookcase 60 x 12 x 34 against wall C, centred on wall C",
                              "picture 40 x 38, 5 above low bookcase"});
    EXPECT_EQ(verdict(job, "art-centre", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(job, "art-above", "Picture"), Verdict::right);
}

TEST(ArtAbove, AtItsBoundsInBothSchools) {
    EXPECT_EQ(verdict(overSofa("4 above sofa"), "art-above", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(overSofa("6 above sofa"), "art-above", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(overSofa("3 7/8 above sofa"), "art-above", "Picture"), Verdict::tight);
    EXPECT_EQ(verdict(overSofa("6 1/8 above sofa"), "art-above", "Picture"), Verdict::loose);
    for (const auto& [said, v] : {std::pair{"8 above sofa", Verdict::right},
                                  {"12 above sofa", Verdict::right},
                                  {"7 7/8 above sofa", Verdict::tight},
                                  {"12 1/8 above sofa", Verdict::loose}})
        EXPECT_EQ(verdict(overSofa(said, {"school viewer-and-air"}), "art-above", "Picture"), v)
            << said;
}

TEST(ArtAbove, IsOfFurnitureByTheWallAndNotOfChairsOrLamps) {
    EXPECT_FALSE(judged(jobWith({"sofa 84 x 36 x 34 at 10', 7'", "picture 54 x 30 on wall C"}),
                        "art-above", "Picture"));
    EXPECT_FALSE(judged(jobWith({"dining chair against wall C, centred on wall C",
                                 "picture 20 x 20 on wall C, centred on wall C"}),
                        "art-above", "Picture"));
}

TEST(ArtWidth, IsAboutTwoThirds) {
    for (const auto& [width, v] : {std::pair{50.4, Verdict::right},
                                   {63.0, Verdict::right},
                                   {50.0, Verdict::tight},
                                   {63.2, Verdict::loose}}) {
        const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                                  fmt::format("picture {} x 24, 5 above sofa", width)});
        EXPECT_EQ(verdict(job, "art-width", "Picture"), v) << width;
    }
}

TEST(ArtWidth, OfAGroupIsThatOfItsOutline) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                              "picture 18 x 24 on wall C called P1, at 60, 60",
                              "picture 18 x 24 on wall C called P2, at 100, 60",
                              "picture 18 x 24 on wall C called P3, at 140, 60",
                              "group P1, P2 and P3 as a row, gap 2, called Trio",
                              "Trio 6 above sofa, centred on sofa"});
    const auto all = readingsOf(job);
    EXPECT_NEAR(find(all, job, "art-width", "Trio")->value.value, 58.0 / 84, 1e-9);
    EXPECT_EQ(find(all, job, "art-centre", "P1"), nullptr) << "a group is judged as one";
}

TEST(GroupGap, IsTwoInchesAndLessForSmallOnes) {
    const auto pair = [](double side, double gap) {
        return jobWith(
            {fmt::format("picture {0} x {0} on wall C called P1, at 60, 60", side),
             fmt::format("picture {0} x {0} called P2, {1} right of P1, level with P1", side, gap),
             "group P1 and P2 called Pair"});
    };
    EXPECT_EQ(verdict(pair(18, 2), "group-gap", "Pair"), Verdict::right);
    EXPECT_EQ(verdict(pair(18, 1.4), "group-gap", "Pair"), Verdict::tight);
    EXPECT_EQ(verdict(pair(18, 2.6), "group-gap", "Pair"), Verdict::loose);
    EXPECT_EQ(verdict(pair(10, 2), "group-gap", "Pair"), Verdict::loose);
    EXPECT_EQ(verdict(pair(10, 1.25), "group-gap", "Pair"), Verdict::right);
    const auto job = pair(18, 5);
    const auto mend = remedy(job, "group-gap", "Pair");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(job, mend->edit)->project, "group-gap", "Pair"), Verdict::right);
}

TEST(AirBeside, IsToWhatHangsNextToItAWindowOrACorner) {
    const auto job = jobWith({"picture 20 x 20 on wall A called One, 5 from left corner",
                              "picture 20 x 20 on wall B called Two, at 40, 60",
                              "mirror 20 x 30 called Three, 6 right of Two, level with Two"});
    EXPECT_EQ(verdict(job, "air-beside", "One"), Verdict::tight);
    EXPECT_EQ(verdict(job, "air-beside", "Two", "Three"), Verdict::right);
    const auto mend = remedy(job, "air-beside", "One");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(job, mend->edit)->project, "air-beside", "One"), Verdict::right);
}

TEST(AirBeside, OnABreastIsToItsEdgesAndBesideOneToItsSide) {
    const char* notes =
        "room R\nceiling 8'\nwall A 12'\n chimney 40 from left, 60 wide, 14 deep\nwall B "
        "10'\nwall C 12'\nwall D 10'\n";
    const auto job = jobWith({"picture 36 x 30 on wall A called Breast, centred on chimney",
                              "picture 20 x 20 on wall A called Aside, 4 left of chimney"},
                             notes);
    const auto all = readingsOf(job);
    const auto* on = find(all, job, "air-beside", "Breast");
    ASSERT_NE(on, nullptr);
    EXPECT_NEAR(on->value.length().inInches(), 12, 1e-6);
    EXPECT_EQ(words(on->other, job.wording()), "chimney");
    EXPECT_NEAR(find(all, job, "air-beside", "Aside")->value.length().inInches(), 4, 1e-6);
    // Of the breast's own face: 60 less 6 at either side, and 96 less 30 and 6 at foot and head.
    EXPECT_NEAR(find(all, job, "art-size", "Breast")->value.value, 36.0 * 30 / (48 * 54), 1e-6);
}

TEST(ArtSize, NamesTheSmallOneAloneOnABigWall) {
    EXPECT_EQ(verdict(jobWith({"picture 12 x 10 on wall B"}), "art-size", "Picture"),
              Verdict::tight);
    EXPECT_EQ(verdict(jobWith({"picture 60 x 36 on wall B"}), "art-size", "Picture"),
              Verdict::right);
}

TEST(ArtSize, OverFurnitureGoesByTheStretchThatGives) {
    // A mirror 36 across over a console of 48 fills its place, however long the wall is; over a
    // sideboard of 72 one of 12 is lost. Alone on the same wall that of 36 is small.
    const char* longWall = "ceiling 9'\nwall A 18'\nwall B 12'\nwall C 18'\nwall D 12'\n";
    const auto of = [&](std::vector<std::string> lines, const char* piece) {
        const auto job = jobWith(lines, longWall);
        const auto all = readingsOf(job);
        const auto* r = find(all, job, "art-size", piece);
        return r == nullptr ? Verdict::right : r->verdict;
    };
    EXPECT_EQ(of({"sideboard 48 x 14 x 32 against wall A, centred on wall A",
                  "round mirror 36, 6 above sideboard, centred on sideboard"},
                 "Round mirror"),
              Verdict::right);
    EXPECT_EQ(of({"sideboard 72 x 16 x 32 against wall A, centred on wall A",
                  "picture 12 x 10, 8 above sideboard, centred on sideboard"},
                 "Picture"),
              Verdict::tight);
    EXPECT_EQ(of({"round mirror 36 on wall A, centred on wall A, centre at 58"}, "Round mirror"),
              Verdict::tight);
}

TEST(ArtMatch, ComparesOppositeAndAdjoiningWalls) {
    const auto job = jobWith(
        {"picture 60 x 40 on wall A called Large", "picture 30 x 20 on wall C called Small"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "art-match", "Small", "Large");
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value, 0.25, 1e-9);
    EXPECT_EQ(r->verdict, Verdict::tight);
}

TEST(SconceHeight, IsSixtyEightOrNearly) {
    for (const auto& [at, v] : {std::pair{68.0, Verdict::right},
                                {66.0, Verdict::right},
                                {70.0, Verdict::right},
                                {65.5, Verdict::tight},
                                {70.5, Verdict::loose}})
        EXPECT_EQ(verdict(jobWith({fmt::format("sconce on wall B, centre at {}", at)}),
                          "sconce-height", "Sconce"),
                  v)
            << at;
}

TEST(StairArt, IsAtOneHeightOverTheNosings) {
    const char* hall =
        "room Hall\nceiling 14'\nwall A 16'\n  stairs 24 from left, 36 wide, riser 7 1/2, "
        "going 10, count 9, up right\nwall B 8'\nwall C 16'\nwall D 8'\n";
    const auto job =
        jobWith({"picture 16 x 20 on wall A, centre 58 over stairs, centre 60 from left corner",
                 "add picture 16 x 20 on wall A called High, centre 66 over stairs, centre 90 from "
                 "left corner"},
                hall);
    EXPECT_EQ(verdict(job, "stair-art", "Picture"), Verdict::right);
    EXPECT_EQ(verdict(job, "stair-art", "High"), Verdict::loose);
    EXPECT_FALSE(judged(job, "art-centre", "Picture"));
    const auto mend = remedy(job, "stair-art", "High");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(job, mend->edit)->project, "stair-art", "High"), Verdict::right);
}

TEST(StairSteps, AreEqualOrTold) {
    const char* hall =
        "room Hall\nceiling 14'\nwall A 16'\n  stairs 24 from left, 36 wide, riser 7 1/2, "
        "going 10, count 9, up right\nwall B 8'\nwall C 16'\nwall D 8'\n";
    const auto four = [&](double third) {
        std::vector<std::string> lines;
        const double at[] = {40, 60, third, 100};
        for (int i = 0; i < 4; ++i)
            lines.push_back(fmt::format(
                "add picture 12 x 16 on wall A called S{}, centre 58 over stairs, centre "
                "{} from left corner",
                i, at[i]));
        return jobWith(lines, hall);
    };
    EXPECT_EQ(verdict(four(80), "stair-steps", "S2", "S1"), Verdict::right);
    EXPECT_EQ(verdict(four(80.9), "stair-steps", "S2", "S1"), Verdict::right);
    EXPECT_EQ(verdict(four(83), "stair-steps", "S2", "S1"), Verdict::loose);
    EXPECT_EQ(verdict(four(83), "stair-steps", "S3", "S2"), Verdict::tight);
    // Things of two widths at one gap are in step; things over one another are no steps.
    const auto wide = [&](const char* size, const char* at) {
        return jobWith(
            {"add picture 12 x 16 on wall A called S0, centre 58 over stairs, centre 40 from left "
             "corner",
             fmt::format(
                 "add picture {} on wall A called S1, centre 58 over stairs, centre {} from left "
                 "corner",
                 size, at),
             "add picture 28 x 16 on wall A called S2, centre 58 over stairs, centre 92 from left "
             "corner"},
            hall);
    };
    EXPECT_EQ(verdict(wide("20 x 16", "62"), "stair-steps", "S2", "S1"), Verdict::right);
    EXPECT_EQ(verdict(wide("20 x 16", "58"), "stair-steps", "S2", "S1"), Verdict::loose);
    EXPECT_FALSE(judged(wide("20 x 16", "46"), "stair-steps", "S2"));
    const auto mend = remedy(four(83), "stair-steps", "S2");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(four(83), mend->edit)->project, "stair-steps", "S2", "S1"),
              Verdict::right);
}

// ADA 2010 Standards 307.2: between 27 and 80 in over the floor at most 4 in out.
TEST(Protrude, IsForHeadsAndShouldersWherePeopleWalk) {
    const auto shelf = [](double depth, double bottom) {
        return jobWith(
            {fmt::format("floating shelf 30 x {} on wall B, bottom at {}", depth, bottom)});
    };
    EXPECT_EQ(verdict(shelf(4, 50), "protrude", "Floating shelf"), Verdict::right);
    EXPECT_EQ(verdict(shelf(4.1, 50), "protrude", "Floating shelf"), Verdict::loose);
    EXPECT_FALSE(judged(shelf(10, 27), "protrude", "Floating shelf")) << "a cane finds it";
    EXPECT_FALSE(judged(shelf(10, 80), "protrude", "Floating shelf")) << "over heads";
    EXPECT_FALSE(
        judged(jobWith({"sideboard 60 x 18 x 34 against wall B, centred on wall B",
                        "floating shelf 30 x 10 on wall B, centred on wall B, bottom at 60"}),
               "protrude", "Floating shelf"))
        << "furniture under it keeps people off";
    // A mantelshelf has its breast under it; beside the breast one is a shelf as any other.
    const char* breast =
        "room R\nceiling 8'\nwall A 12'\n fireplace 3' from left, 5' wide, 12 deep, "
        "4' high\nwall B 10'\nwall C 12'\nwall D 10'\n";
    EXPECT_FALSE(judged(
        jobWith({"floating shelf 60 x 9 on wall A, centred on fireplace, top at 52"}, breast),
        "protrude", "Floating shelf"));
    EXPECT_EQ(
        verdict(jobWith({"floating shelf 20 x 9 on wall A, 10 from corner AB, top at 52"}, breast),
                "protrude", "Floating shelf"),
        Verdict::loose);
}

TEST(CableZoneRule, IsThereOnlyWhileAHookIsInOne) {
    const char* notes = "room R\nceiling 8'\nwall A 12'\n outlet 40 from left, 14 up\nwall B "
                        "10'\nwall C 12'\nwall D 10'\n";
    const auto near = jobWith({"round mirror 20 on wall A, at 41, 58"}, notes);
    EXPECT_EQ(verdict(near, "cable-zone", "Round mirror"), Verdict::tight);
    EXPECT_FALSE(judged(jobWith({"round mirror 20 on wall A, at 46, 58"}, notes), "cable-zone",
                        "Round mirror"));
    const auto mend = remedy(near, "cable-zone", "Round mirror");
    ASSERT_TRUE(mend);
    EXPECT_FALSE(judged(*apply(near, mend->edit)->project, "cable-zone", "Round mirror"));
}

TEST(HookRule, WhatIsHeavyGoesIntoStuds) {
    const char* notes = "room R\nceiling 8'\nwall A 12'\n studs 16 apart, first 14 from left\nwall "
                        "B 10'\nwall C 12'\nwall D 10'\n";
    const auto off = jobWith({"round mirror 30 on wall A, at 38, 58, weighs 60 lb"}, notes);
    EXPECT_EQ(verdict(off, "hook", "Round mirror"), Verdict::loose);
    EXPECT_EQ(verdict(jobWith({"round mirror 30 on wall A, at 46, 58, weighs 60 lb"}, notes),
                      "hook", "Round mirror"),
              Verdict::note);
    const auto mend = remedy(off, "hook", "Round mirror");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(off, mend->edit)->project, "hook", "Round mirror"), Verdict::note);
}

TEST(ShelfSag, HoldsOrWantsMoreBrackets) {
    const auto good = jobWith({"floating shelf 36 x 10 on wall B"});
    EXPECT_EQ(verdict(good, "shelf-sag", "Floating shelf"), Verdict::right);
    const auto weak = jobWith({"bracket shelf 84 x 11 on wall B, of particleboard, on 2 brackets"});
    EXPECT_EQ(verdict(weak, "shelf-sag", "Bracket shelf"), Verdict::loose);
    const auto mend = remedy(weak, "shelf-sag", "Bracket shelf");
    ASSERT_TRUE(mend);
    EXPECT_EQ(verdict(*apply(weak, mend->edit)->project, "shelf-sag", "Bracket shelf"),
              Verdict::right);
}

TEST(ShelfSag, WhatLeansOnAShelfIsItsLoadWhereItStands) {
    const auto job = jobWith(
        {"floating shelf 40 x 10 on wall B, centre 60 from left corner",
         "picture 12 x 16 called Leaning, leaned on floating shelf, centre 60 from left corner, "
         "weighs 9 lb"});
    const auto beam = shelfBeam(**sceneOf(job), 0, *job.library.book);
    ASSERT_TRUE(beam);
    ASSERT_EQ(beam->loads.size(), 1U);
    EXPECT_NEAR(beam->loads[0].at.inInches(), 20, 1e-6);
    EXPECT_NEAR(beam->loads[0].weight.lb(), 9, 1e-9);
    // Its own weight is left: oak of 700 kg/m³, 10 in by 1 1/2 in.
    EXPECT_NEAR(beam->load, Mass::kilograms(700 * 0.254 * 0.0381).newtons(), 1e-6);
}

TEST(WallClash, TwoInOnePlaceOneOverAWindowAndOneOutOfTheWall) {
    EXPECT_EQ(verdict(jobWith({"picture 20 x 20 on wall B called P1, at 40, 60",
                               "picture 20 x 20 on wall B called P2, at 50, 60"}),
                      "clash", "P2", "P1"),
              Verdict::clash);
    EXPECT_EQ(
        verdict(jobWith({"picture 20 x 20 on wall A, at 88, 50"}), "clash", "Picture", "window 1"),
        Verdict::clash);
    EXPECT_EQ(verdict(jobWith({"picture 20 x 20 on wall B, at 5, 60"}), "inside", "Picture"),
              Verdict::clash);
    EXPECT_EQ(verdict(jobWith({"picture 20 x 20 on wall B, at 50, 90"}), "inside", "Picture"),
              Verdict::clash);
    EXPECT_FALSE(
        judged(jobWith({"curtains 84 x 90 on wall A, centred on window 1"}), "clash", "Curtains"));
    EXPECT_FALSE(judged(jobWith({"picture 20 x 20 on wall B called P1, at 40, 60",
                                 "picture 20 x 20 on wall C called P2, at 120, 60"}),
                        "clash", "P2"))
        << "on two walls";
}

TEST(MirrorRule, TellsTheBestOfWhatItShowsAndWarns) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                              "mirror 40 x 50 on wall B, at 90, 50"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "mirror-shows", "Mirror", "Sofa");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::note);
    EXPECT_GT(r->value.value, 0.05) << "the window in wall A, from the sofa";
    const auto facing = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                                 "mirror 40 x 50 on wall B called One, at 150, 50",
                                 "mirror 40 x 50 on wall D called Two, at 30, 50"});
    bool warned = false;
    for (const Reading& x : readingsOf(facing))
        warned = warned || (x.rule->id == "mirror-shows" && x.verdict == Verdict::tight);
    EXPECT_TRUE(warned);
}

TEST(WallRemedies, EveryOneOfferedMendsItsReading) {
    const auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall C, centred on wall C", "picture 30 x 20, 14 above sofa",
         "sconce on wall B, centre at 75",
         "add picture 20 x 20 on wall A called Neighbour, 2 from left corner, centre at 66"});
    const auto scene = *sceneOf(job);
    const auto all = readingsOf(job);
    int mended = 0;
    for (const Reading& r : all) {
        if (r.surface.isFloor() || !r.toMend())
            continue;
        const auto mend = remedyFor(r, job, *scene, all);
        if (!mend)
            continue;
        ++mended;
        const auto after = readingsOf(*apply(job, mend->edit)->project);
        for (const Reading& x : after)
            if (x.sameAs(r))
                EXPECT_FALSE(x.toMend()) << mend->line;
    }
    EXPECT_GE(mended, 4);
}
