// The words of every tie can be said again and mean the same; every target can be referred to.
#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* richNotes() {
    return "ceiling 8'\nwall A 20'\n window 7' 6\" from left, 5' wide, 4' high, sill 32\n"
           " window 15' from left, 3' wide, 4' high, sill 32\nwall B 15'\n"
           " chimney 5' from left, 5' wide, 14 deep\nwall C 20'\n"
           " door 2' from left, 32 wide, 80 high, hinge right, swings in, undercut 3/4\n"
           " opening 12' from left, 4' wide, 80 high\nwall D 15'\n";
}

Project base() {
    return jobWith({"sofa 84 x 36 at 10', 7', turned 20", "coffee table 48 x 26 at 10', 10'"},
                   richNotes());
}

/// Everything that can be said of where a stool or a bench stands.
std::vector<std::string> phrases() {
    return {"against wall A",
            "against wall C, gap 3\"",
            "against chimney",
            "in corner AB",
            "in corner BA",
            "in corner DA",
            "turned 30",
            "turned 275.5",
            "square to wall B",
            "square to window 1",
            "in line with Sofa",
            "facing Sofa",
            "facing wall D",
            "facing window 2",
            "facing door 1",
            "facing chimney",
            "16\" from Sofa",
            "16\" behind Sofa",
            "2 1/2\" left of Sofa",
            "2\" right of Coffee table",
            "24\" from wall B",
            "centre 30\" from wall A",
            "24\" from chimney",
            "30\" from corner AB",
            "30\" from corner BA",
            "centre 30\" from corner CD",
            "centred on Sofa",
            "centred on wall A",
            "centred on wall C, 3\" left",
            "centred on window 1, 7 1/2\" right",
            "centred on door 1",
            "centred on opening 1",
            "centred on chimney",
            "centred on room",
            "centred between Sofa and window 1",
            "centred between wall A and Sofa",
            "centred between wall D and wall B",
            "under Sofa and Coffee table",
            "at 6' 2\", 4' 0\""};
}

} // namespace

TEST(TieWords, SaidAgainMeanTheSame) {
    const auto job = base();
    for (const auto& phrase : phrases()) {
        const auto said = readLine("bench 48 x 16 called Thing, " + phrase, job);
        ASSERT_TRUE(said) << phrase << ": " << said.problem().text();
        const auto& piece = std::get<PutPiece>(said->edit.acts.front()).piece;
        ASSERT_FALSE(piece.ties.empty()) << phrase;
        const auto told = words(piece.ties.front(), job.wording());
        EXPECT_EQ(told, phrase);
        const auto again = readLine("bench 48 x 16 called Thing, " + told, job);
        ASSERT_TRUE(again) << told;
        EXPECT_EQ(std::get<PutPiece>(again->edit.acts.front()).piece.ties.front(),
                  piece.ties.front());
    }
}

TEST(TieWords, MeanTheSameInEveryUnit) {
    for (const char* units : {"feet 1/32", "inches 1/32", "mm", "cm", "m"}) {
        auto job = base();
        job = *apply(job, readLine(std::string("units ") + units, job)->edit)->project;
        for (const auto& phrase : phrases()) {
            const auto first = readLine("bench 48in x 16in called Thing, " + phrase, job);
            ASSERT_TRUE(first) << units << ", " << phrase << ": " << first.problem().text();
            const auto& tie = std::get<PutPiece>(first->edit.acts.front()).piece.ties.front();
            const auto again =
                readLine("bench 48in x 16in called Thing, " + words(tie, job.wording()), job);
            ASSERT_TRUE(again) << units << ", " << words(tie, job.wording());
            const auto& back = std::get<PutPiece>(again->edit.acts.front()).piece.ties.front();
            EXPECT_NEAR(back.distance.mm(), tie.distance.mm(), 1) << words(tie, job.wording());
            EXPECT_EQ(words(back, job.wording()), words(tie, job.wording()));
        }
    }
}

TEST(TieWords, AreKeptThroughAJobFile) {
    auto job = base();
    int n = 0;
    for (const auto& phrase : phrases()) {
        const auto said = readLine(fmt::format("bench called Thing{}, {}", n++, phrase), job);
        ASSERT_TRUE(said);
        job = *apply(job, said->edit)->project;
    }
    const auto back = readJob(jobText(job), "x.mezzet", library());
    ASSERT_TRUE(back) << back.problem().text();
    for (const auto& p : job.scheme().pieces)
        EXPECT_EQ((*back)->scheme().byId(p.id)->ties, p.ties) << p.name;
}

TEST(Placing, BetweenTwoThingsIsMidwayBetweenTheirNearEdges) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "stool 15 centred between sofa and wall C, centred on sofa"});
    // From 36 to 180 in: the middle is 108.
    EXPECT_NEAR(poseOf(job, "Stool").at.y / 25.4, 108, 1e-6);
    const auto walls = jobWith({"stool 15 centred between wall D and wall B, 30 from wall A"});
    EXPECT_NEAR(poseOf(walls, "Stool").at.x / 25.4, 120, 1e-6);
}

TEST(Placing, AgainstAChimneyStandsBeforeIt) {
    const auto job = jobWith({"armchair 30 x 33 against chimney, centred on chimney"}, richNotes());
    const auto p = poseOf(job, "Armchair");
    EXPECT_NEAR(p.at.x / 25.4, 240 - 14 - 16.5, 1e-6);
    EXPECT_NEAR(p.at.y / 25.4, 60 + 30, 1e-6);
    EXPECT_NEAR(p.turn.inDegrees(), 90, 1e-6);
}

TEST(Placing, UnderAWindowIsAgainstItsWall) {
    const auto job = jobWith({"desk 54 x 26 under window 2"}, richNotes());
    EXPECT_NEAR(poseOf(job, "Desk").at.x / 25.4, 198, 1e-6);
    EXPECT_NEAR(poseOf(job, "Desk").at.y / 25.4, 13, 1e-6);
}

TEST(Placing, ARugCentredOnPiecesLiesUnderTheirOutline) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 5'", "coffee table 48 x 26 at 10', 8'",
                              "rug 120 x 96 under sofa and coffee table"});
    const auto p = poseOf(job, "Rug");
    EXPECT_NEAR(p.at.x / 25.4, 120, 1e-6);
    EXPECT_NEAR(p.at.y / 25.4, ((60 - 18) + (96 + 13)) / 2.0, 1e-6);
}

TEST(Placing, OnARugIsItsMiddleBothWays) {
    const auto job = jobWith({"rug 120 x 96 at 9', 7'", "round table 44 centred on rug"});
    EXPECT_NEAR(poseOf(job, "Round table").at.x / 25.4, 108, 1e-6);
    EXPECT_NEAR(poseOf(job, "Round table").at.y / 25.4, 84, 1e-6);
}

TEST(Placing, ACornerSofaTakesItsTableInTheNook) {
    const auto job = jobWith({"corner sofa 108 x 66 against wall A, centred on wall A",
                              "coffee table 40 x 20 15 from corner sofa, centred on corner sofa"});
    const auto p = poseOf(job, "Coffee table");
    // The body is 37 deep; the inner front edge runs from the left end to the arm, 36 wide.
    EXPECT_NEAR(p.at.y / 25.4, 37 + 15 + 10, 1e-6);
    EXPECT_NEAR(p.at.x / 25.4, 120 - 18, 1e-6);
}

TEST(Placing, TurnedPiecesAreMeasuredFromTheirTrueEdges) {
    const auto job = jobWith({"bench 40 x 20 turned 30, 10 from wall D, 12 from wall A"});
    const auto scene = *sceneOf(job);
    const auto& s = scene->floor.placed[0].shape;
    EXPECT_NEAR(-extent(s, {-1, 0}) / 25.4, 10, 1e-6);
    EXPECT_NEAR(-extent(s, {0, -1}) / 25.4, 12, 1e-6);
}

TEST(Placing, InARoomWithASlantedWall) {
    const auto job = jobWith({"console 40 x 14 against wall B, centred on wall B"},
                             "wall A 15' 0\"\ncorner 135\nwall B 4' 11 3/8\"\ncorner 135\n"
                             "wall C 11' 0 1/8\"\nwall D 18' 6 1/4\"\nwall E 14' 6\"");
    const auto& room = *job.room;
    const auto p = poseOf(job, "Console");
    const Vec2 middle = (room.walls[1].start + room.walls[1].end) / 2;
    EXPECT_NEAR(norm(p.at - middle) / 25.4, 7, 1e-6);
    EXPECT_NEAR(dot(p.front(), room.walls[1].inward()), 1, 1e-9);
}

TEST(Placing, ALongChainOfTiesResolvesInOnePass) {
    auto job = jobWith({"stool 10 called no0, 10 from wall D, 10 from wall A, turned 0"});
    for (int i = 1; i < 60; ++i)
        job = *apply(job, readLine(fmt::format("stool 10 called no{} 1 right of no{}, centred on "
                                               "no{}",
                                               i, i - 1, i - 1),
                                   job)
                              ->edit)
                   ->project;
    EXPECT_NEAR(poseOf(job, "no59").at.x / 25.4, 15 + 59 * 11, 1e-6);
    EXPECT_NEAR(poseOf(job, "no59").at.y / 25.4, 15, 1e-6);
    const auto loop = refusal(job, "no0 1 right of no59");
    EXPECT_NE(loop.what.find("loop"), std::string::npos);
}

TEST(SchemeNames, AreFoundInAnyCaseAndKeptApart) {
    const auto job = jobWith({"stool at 3', 3'", "add stool at 6', 3'", "add stool at 9', 3'"});
    EXPECT_NE(job.scheme().byName("STOOL 2"), nullptr);
    EXPECT_NE(job.scheme().byName("stool 3"), nullptr);
    EXPECT_EQ(job.scheme().byName("stool 4"), nullptr);
    EXPECT_EQ(job.scheme().freeName("Stool"), "Stool 4");
}

TEST(Words, OfSizesAndFootprints) {
    const auto job = jobWith({"sofa at 3', 3'", "round table 54 at 10', 8'"});
    EXPECT_EQ(words(job.scheme().pieces[0].size, job.notation), "84 x 36 x 34");
    EXPECT_EQ(footprintWords(job.scheme().pieces[0], job.notation), "84 x 36");
    EXPECT_EQ(footprintWords(job.scheme().pieces[1], job.notation), "54 dia");
    EXPECT_EQ(words(Angle::degrees(22.5)), "22.5");
    EXPECT_EQ(words(Angle::degrees(90)), "90");
}
