#include "jobs.h"
#include "scheme/tie_kind.h"

#include <set>

using namespace mezzet;
using namespace mezzet::test;

// The plain room is 240 x 180 in; wall A is y = 0, B x = 240, C y = 180, D x = 0.
namespace {
void expectAt(const Project& job, const char* name, double x, double y, double turn) {
    const auto p = poseOf(job, name);
    EXPECT_NEAR(p.at.x / 25.4, x, 1e-6) << name;
    EXPECT_NEAR(p.at.y / 25.4, y, 1e-6) << name;
    EXPECT_NEAR(difference(p.turn, Angle::degrees(turn)).inDegrees(), 0, 1e-6) << name;
}
} // namespace

TEST(Ties, AgainstAWallStandsBackToIt) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on window 1",
                              "sideboard 60 x 18 against wall B, centred",
                              "console 54 x 14 against wall C, gap 2, centred on wall C"});
    expectAt(job, "Sofa", 120, 18, 0);
    expectAt(job, "Sideboard", 240 - 9, 90, 90);
    expectAt(job, "Console", 120, 180 - 7 - 2, 180);
}

TEST(Ties, DistancesRunFromEdgesOrCentres) {
    const auto job = jobWith({"desk 54 x 26 against wall A, 30 from corner DA",
                              "round table 54 at 14' 8\" from wall D, 8' 2\" from wall A",
                              "bench 48 x 16 24 from wall D, 30 from wall A, turned 0"});
    expectAt(job, "Desk", 30 + 27, 13, 0);
    expectAt(job, "Round table", 176, 98, 0);
    expectAt(job, "Bench", 24 + 24, 30 + 8, 0);
}

TEST(Ties, SidesOfAPieceAreAsYouFaceIt) {
    const auto job = jobWith({"sofa 84 x 36 against wall C, centred on wall C",
                              "coffee table 48 x 26 16 from sofa, centred on sofa",
                              "side table 20 x 22 2 left of sofa, centred on sofa",
                              "floor lamp 16 3 right of sofa, centred on sofa",
                              "sofa table 60 x 14 1 behind coffee table, centred on coffee table"});
    expectAt(job, "Sofa", 120, 162, 180);
    expectAt(job, "Coffee table", 120, 162 - 18 - 16 - 13, 180);
    expectAt(job, "Side table", 120 + 42 + 2 + 10, 162,
             180); // facing the sofa from wall A, its left is +x
    expectAt(job, "Floor lamp", 120 - 42 - 3 - 8, 162, 180);
    expectAt(job, "Sofa table", 120, 115 + 13 + 1 + 7, 180);
}

TEST(Ties, InACornerTouchesBothWalls) {
    const auto job = jobWith({"bookcase 36 x 12 in corner AB", "floor plant 24 in corner CD",
                              "armchair 30 x 33 in corner BA called back chair"});
    expectAt(job, "Bookcase", 240 - 18, 6, 0);
    expectAt(job, "Floor plant", 12, 168, 180);
    expectAt(job, "back chair", 240 - 16.5, 15, 90);
}

TEST(Ties, FacingLooksAtTheOther) {
    const auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                 "armchair 30 x 30 60 from sofa, facing sofa, centred on sofa",
                 "wing chair 30 x 30 at 4', 8', facing sofa", "stool at 10', 12', facing wall D"});
    expectAt(job, "Armchair", 120, 36 + 60 + 15, 180);
    const auto chair = poseOf(job, "Wing chair");
    const Vec2 to = unit(poseOf(job, "Sofa").at - chair.at);
    EXPECT_NEAR(dot(to, chair.front()), 1, 1e-9);
    expectAt(job, "Stool", 120, 144, 90);
}

TEST(Ties, FacingAPointFromBetweenWallsSettlesExactly) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "wing chair 30 x 34 20 from wall D, 24 from wall C, facing sofa"});
    const auto scene = *sceneOf(job);
    const auto* p = scene->byId(job.scheme().byName("Wing chair")->id);
    EXPECT_NEAR(-extent(p->shape, {-1, 0}) / 25.4, 20, 1e-6);
    EXPECT_NEAR(180 - extent(p->shape, {0, 1}) / 25.4, 24, 1e-6);
    EXPECT_NEAR(dot(unit(poseOf(job, "Sofa").at - p->pose.at), p->pose.front()), 1, 1e-9);
}

TEST(Ties, MovingWhatOthersAreTiedToMovesThem) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 16 from sofa, centred on sofa",
                              "rug under sofa and coffee table", "sofa 40 from corner DA"});
    expectAt(job, "Sofa", 40 + 42, 18, 0);
    EXPECT_NEAR(poseOf(job, "Coffee table").at.x / 25.4, 82, 1e-6);
    EXPECT_NEAR(poseOf(job, "Rug").at.x / 25.4, 82, 1e-6);
}

TEST(Ties, WhatNoTieFixesStaysWhereItWas) {
    auto job = jobWith({"stool at 5', 6'", "free stool", "stool 10 from wall A"});
    const auto p = poseOf(job, "Stool");
    EXPECT_NEAR(p.at.x / 25.4, 60, 1e-6);
    EXPECT_NEAR(p.at.y / 25.4, 17.5, 1e-6);
}

TEST(Ties, ALoopIsRefusedWithItsChain) {
    const auto job = jobWith(
        {"sofa against wall A, centred on wall A", "coffee table 16 from sofa, centred on sofa"});
    const auto p = refusal(job, "sofa 8 behind coffee table");
    EXPECT_NE(p.what.find("loop"), std::string::npos) << p.text();
    EXPECT_NE(p.what.find("Coffee table is"), std::string::npos) << p.text();
    EXPECT_NE(p.what.find("Sofa is"), std::string::npos) << p.text();
}

TEST(Ties, AnOverTiedPieceIsRefusedWithBothSaid) {
    const auto job = jobWith({});
    auto p = refusal(job, "sofa against wall A, 20 from wall C");
    EXPECT_NE(p.what.find("against wall A"), std::string::npos) << p.text();
    EXPECT_NE(p.what.find("20\" from wall C"), std::string::npos) << p.text();
    p = refusal(job, "sofa against wall A, facing wall B");
    EXPECT_NE(p.what.find("its turn"), std::string::npos) << p.text();
}

TEST(Ties, NewWordsWinOverOldOnesAndSayWhatTheyLetGo) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on window 1"});
    const auto said = readLine("sofa 30 from corner DA", job);
    ASSERT_TRUE(said);
    EXPECT_NE(said->preview.find("centred on window 1"), std::string::npos) << said->preview;
    EXPECT_NE(said->preview.find("Moves Sofa"), std::string::npos);
}

TEST(Ties, RemovingAPieceLeavesTheOthersInPlace) {
    auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                        "coffee table 16 from sofa, centred on sofa"});
    const auto before = poseOf(job, "Coffee table");
    const auto said = readLine("remove sofa", job);
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    EXPECT_FALSE(after->notices.empty());
    EXPECT_EQ(poseOf(*after->project, "Coffee table").at, before.at);
}

TEST(Ties, ALockedPieceStaysWhenItsTieMoves) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 16 from sofa, centred on sofa", "lock coffee table",
                              "sofa 10 from corner DA"});
    EXPECT_NEAR(poseOf(job, "Coffee table").at.x / 25.4, 120, 1e-6);
}

TEST(Ties, TenDegreesApartAreTwoCoordinatesAndThreeAreOne) {
    // 5 degrees is where two directions begin to be one.
    const auto job = jobWith({"desk 60 x 30 at 10', 4', turned 10",
                              "stool 30 in front of desk, centre 120 from wall A"});
    const auto scene = *sceneOf(job);
    EXPECT_EQ(scene->byId(job.scheme().byName("Stool")->id)->coordinatesTied, 2);
    EXPECT_TRUE(scene->overTied.empty());
    const auto three = jobWith({"desk 60 x 30 at 10', 4', turned 3"});
    EXPECT_NE(
        refusal(three, "stool 30 in front of desk, centre 120 from wall A").what.find("each fixes"),
        std::string::npos);
}

TEST(Ties, AnOffsetGoesToTheRightAsYouFaceIt) {
    // The window in A has its middle at 120; wall C is faced from the other side.
    const auto job = jobWith({"bench against wall A, centred on window 1, 3 right",
                              "stool 20 from wall C, centred on wall C, 5 left"});
    EXPECT_NEAR(poseOf(job, "Bench").at.x / 25.4, 123, 1e-9);
    EXPECT_NEAR(poseOf(job, "Stool").at.x / 25.4, 125, 1e-9);
}

TEST(TieTable, HasAWholeEntryForEachKind) {
    std::set<std::string_view> words;
    for (const TieKind* k : tieKinds()) {
        EXPECT_EQ(&tieKind(k->kind), k) << k->word;
        EXPECT_EQ(tieByWord(k->word), k) << k->word;
        EXPECT_TRUE(words.insert(k->word).second) << "two are written as " << k->word;
        EXPECT_NE(k->words, nullptr) << k->word;
        EXPECT_EQ(k->turn != nullptr, k->fixes.has(Fixes::turn)) << k->word;
        EXPECT_TRUE(k->floor || k->ceiling || k->wall || k->board) << k->word << " is said nowhere";
        for (const auto* on : {&k->floor, &k->ceiling, &k->wall, &k->board})
            if (*on && k->fixes.bits != static_cast<unsigned>(Fixes::turn))
                EXPECT_TRUE((*on)->lines != nullptr || (*on)->drop != nullptr)
                    << k->word << " fixes no coordinate where it should";
    }
    EXPECT_EQ(words.size(), Tie::kinds);
    EXPECT_EQ(tieByWord("nailed to"), nullptr);
}

TEST(TieTable, SaysWhereEachCanBeSaid) {
    // What can be told of a picture and not of a sofa, and the other way round (docs/line.md).
    const auto job = jobWith({"sofa against wall A", "picture on wall A, 6 above sofa",
                              "console against wall B", "vase on console"});
    const Piece& sofa = *job.scheme().byName("Sofa");
    const Piece& picture = *job.scheme().byName("Picture");
    const Piece& vase = *job.scheme().byName("Vase");
    const auto fits = [&](Tie::Kind kind, const Piece& p, Target of = {}) {
        Tie t;
        t.kind = kind;
        t.of = of;
        return unsuited(t, p, *job.room, job.scheme()).empty();
    };
    const Target wallA = wallTarget(0);
    EXPECT_TRUE(fits(Tie::Kind::against, sofa, wallA));
    EXPECT_FALSE(fits(Tie::Kind::against, picture, wallA));
    EXPECT_FALSE(fits(Tie::Kind::against, vase, wallA));
    EXPECT_TRUE(fits(Tie::Kind::eyeLevel, picture));
    EXPECT_FALSE(fits(Tie::Kind::eyeLevel, sofa));
    EXPECT_TRUE(fits(Tie::Kind::above, picture, pieceTarget(sofa.id)));
    EXPECT_FALSE(fits(Tie::Kind::above, vase, pieceTarget(sofa.id)));
    EXPECT_TRUE(fits(Tie::Kind::fromEdge, vase));
    EXPECT_FALSE(fits(Tie::Kind::fromEdge, sofa));
    EXPECT_FALSE(fits(Tie::Kind::fromEdge, picture));
    EXPECT_TRUE(fits(Tie::Kind::centredOn, vase, pieceTarget(vase.on.piece)));
    EXPECT_FALSE(fits(Tie::Kind::centredOn, vase, pieceTarget(sofa.id))) << "another board";
    EXPECT_FALSE(fits(Tie::Kind::centredOn, picture, wallTarget(1))) << "another wall";
    EXPECT_FALSE(fits(Tie::Kind::facing, sofa, Target{Target::Is::skirting}));
}

TEST(CentredBetween, TwoThingsInOneWallIsTheMiddleOfTheStretchBetweenThem) {
    // Windows from 36 to 84 and from 108 to 156: the middle of what is between them is at 96.
    const auto job =
        jobWith({"console 48 x 14 centred between window 1 and window 2, 20 from wall A",
                 "stool 15 centred between window 2 and window 1"},
                "ceiling 9'\nwall A 16'\n window 3' from left, 4' wide, 5' high, sill "
                "24\n window 9' from left, 4' wide, 5' high, sill 24\nwall B 13'\nwall "
                "C 16'\nwall D 13'\n");
    EXPECT_NEAR(poseOf(job, "Console").at.x / 25.4, 96, 1e-6);
    EXPECT_NEAR(poseOf(job, "Console").at.y / 25.4, 27, 1e-6);
    EXPECT_NEAR(poseOf(job, "Stool").at.x / 25.4, 96, 1e-6);
    EXPECT_NEAR(poseOf(job, "Stool").at.y / 25.4, 7.5, 1e-6) << "its back to their wall";
}
