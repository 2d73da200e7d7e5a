#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project sofaAndTable() {
    return jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                    "coffee table 16 from sofa, centred on sofa"});
}

Problem refusedBy(const Project& job, Act act) {
    const auto r = apply(job, {"x", {std::move(act)}, {}});
    return r ? Problem{} : r.problem();
}

} // namespace

TEST(Apply, LeavesTheOldJobAlone) {
    const auto job = sofaAndTable();
    const auto before = jobText(job);
    const auto after = apply(job, {"remove", {RemovePiece{1}}, {}});
    ASSERT_TRUE(after);
    EXPECT_EQ(jobText(job), before);
    EXPECT_EQ(after->project->scheme().pieces.size(), 1U);
}

TEST(Apply, DoesAllActsOrNone) {
    const auto job = sofaAndTable();
    const auto r = apply(job, {"two", {RemovePiece{1}, RemovePiece{77}}, {}});
    EXPECT_FALSE(r);
    EXPECT_NE(job.scheme().byId(1), nullptr);
}

TEST(Apply, RefusesWhatNoJobCanHold) {
    const auto job = sofaAndTable();
    Piece p = *job.scheme().byId(1);
    const auto with = [&](auto change) {
        Piece q = p;
        change(q);
        return refusedBy(job, PutPiece{q});
    };
    EXPECT_NE(with([](Piece& q) { q.name = "  "; }).what, "");
    EXPECT_NE(with([](Piece& q) { q.name = std::string(200, 'x'); }).what, "");
    EXPECT_NE(with([](Piece& q) { q.name = "coffee TABLE"; }).what, "");
    EXPECT_NE(with([](Piece& q) { q.size.width = Length{}; }).what, "");
    EXPECT_NE(with([](Piece& q) { q.size.depth = Length::metres(21); }).what, "");
    EXPECT_NE(refusedBy(job, SetSchool{"none", {}, false}).what, "");
    EXPECT_NE(refusedBy(job, SetSchool{"low-and-close", "no-rule", false}).what, "");
    EXPECT_NE(refusedBy(job, SetBand{"no-rule", {}}).what, "");
    EXPECT_NE(refusedBy(job, SetBand{"clash", Band{2, 1, {}, {}}}).what, "");
    EXPECT_NE(refusedBy(job, SwitchScheme{5}).what, "");
    EXPECT_NE(refusedBy(job, RenameScheme{" "}).what, "");
    EXPECT_NE(refusedBy(job, RemoveScheme{}).what, "");
    EXPECT_NE(refusedBy(job, SetTitle{std::string(99, 'x'), ""}).what, "");
}

TEST(Apply, IdsAreNeverUsedAgain) {
    auto job = sofaAndTable();
    job = *apply(job, {"x", {RemovePiece{2}}, {}})->project;
    job = *apply(job, readLine("stool in corner AB", job)->edit)->project;
    EXPECT_EQ(job.scheme().pieces.back().id, 3);
}

TEST(Apply, SchemesAreCopiedSwitchedRenamedAndThrownAway) {
    auto job = sofaAndTable();
    const auto say = [&](const char* line) {
        job = *apply(job, readLine(line, job)->edit)->project;
    };
    say("scheme new called Second");
    EXPECT_EQ(job.active, 1U);
    EXPECT_EQ(job.scheme().pieces.size(), 2U);
    say("remove sofa");
    say("scheme empty");
    EXPECT_EQ(job.active, 2U);
    EXPECT_TRUE(job.scheme().pieces.empty());
    say("scheme rename Bare");
    EXPECT_EQ(job.scheme().name, "Bare");
    say("scheme second");
    EXPECT_EQ(job.scheme().pieces.size(), 1U);
    say("scheme remove");
    EXPECT_EQ(job.schemes.size(), 2U);
    say("scheme 1");
    EXPECT_EQ(job.scheme().pieces.size(), 2U);
}

TEST(Apply, AChangedRoomIsResolvedInEveryScheme) {
    auto job = sofaAndTable();
    job = *apply(job, readLine("scheme new", job)->edit)->project;
    const auto after =
        apply(job, {"x", {SetNotes{"wall A 10'\nwall B 15'\nwall C 10'\nwall D 15'"}}, {}});
    ASSERT_TRUE(after);
    for (const auto& s : after->project->schemes)
        EXPECT_NEAR(s->byName("Sofa")->pose.at.x / 25.4, 60, 1e-6);
}

TEST(Apply, ARoomThatTurnsItsWallsStillTakesItsPieces) {
    // What was square becomes slanted: ties that were independent may come out parallel.
    const auto job = jobWith({"stool 10 from wall A, 10 from wall B"});
    const auto after = apply(job, {"x", {SetNotes{"wall A 10'\ncorner 176\nwall B 10'"}}, {}});
    EXPECT_TRUE(after) << after.problem().text();
}

TEST(Steps, AreToldByTheWallTheyGoToward) {
    const auto job = sofaAndTable();
    EXPECT_EQ(stepWords(job, {0, 203.2}), "8\" toward wall C");
    EXPECT_EQ(stepWords(job, {-25.4, 0}), "1\" toward wall D");
    EXPECT_EQ(stepWords(job, {0.01, 0}), "");
}

TEST(Retied, ATurnedPieceKeepsItsDistanceFromItsWall) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, gap 2, centred on wall A"});
    Tie turn;
    turn.kind = Tie::Kind::turned;
    turn.turn = Angle::degrees(45);
    const auto r = retied(job, job.scheme().pieces[0], {turn});
    ASSERT_TRUE(r);
    ASSERT_EQ(r->piece.ties.size(), 3U);
    EXPECT_EQ(r->piece.ties[1].kind, Tie::Kind::fromWall);
    EXPECT_NEAR(r->piece.ties[1].distance.inInches(), 2, 1e-9);
    EXPECT_TRUE(r->letGo.empty());
}

TEST(Retied, APlaceWinsOverEverythingThatPlaced) {
    const auto job = sofaAndTable();
    const auto said = readLine("coffee table at 3', 4'", job);
    const auto& p = std::get<PutPiece>(said->edit.acts.front()).piece;
    ASSERT_EQ(p.ties.size(), 2U) << "its turn stays";
    EXPECT_EQ(said->edit.notices.size(), 2U);
}

TEST(Sizes, FollowWhatTheyShould) {
    auto job = jobWith({"coffee table 48 x 26 x 17 at 5', 5'", "sofa at 12', 5'",
                        "round table at 5', 12'", "corner sofa 108 x 66 at 14', 10'"});
    const auto say = [&](const char* line) {
        job = *apply(job, readLine(line, job)->edit)->project;
    };
    say("size coffee table 50 x 28 x 20");
    EXPECT_NEAR(job.scheme().byName("Coffee table")->top().inInches(), 20, 1e-9);
    say("size sofa 78 x 38 x 30");
    EXPECT_NEAR(job.scheme().byName("Sofa")->heights.seat->inInches(), 18, 1e-9)
        << "a lower back leaves the cushion where it is";
    EXPECT_NEAR(job.scheme().byName("Sofa")->heights.back->inInches(), 30, 1e-9);
    say("size round table 60");
    EXPECT_NEAR(job.scheme().byName("Round table")->size.depth.inInches(), 60, 1e-9);
    say("size round table 42 x 29");
    EXPECT_NEAR(job.scheme().byName("Round table")->size.width.inInches(), 42, 1e-9);
    EXPECT_NEAR(job.scheme().byName("Round table")->size.height.inInches(), 29, 1e-9);
    say("size corner sofa 90 x 30");
    const auto& l = job.scheme().byName("Corner sofa")->footprint;
    EXPECT_LT(l.bodyDepth.inInches(), 30) << "the L stays an L";
    say("sofa, seat 17");
    EXPECT_NEAR(job.scheme().byName("Sofa")->heights.seat->inInches(), 17, 1e-9);
    say("coffee table, top 16");
    EXPECT_NEAR(job.scheme().byName("Coffee table")->top().inInches(), 16, 1e-9);
}

TEST(NewPieces, WithoutAPlaceStandWhereThereIsRoom) {
    auto job = jobWith({});
    for (int i = 0; i < 14; ++i)
        job = *apply(job, readLine("add armchair", job)->edit)->project;
    for (const auto& r : readingsOf(job))
        EXPECT_FALSE(r.verdict == Verdict::clash) << words(r.other, job.wording());
}

TEST(NewPieces, StandSquareAndLookAtWhatTheyServe) {
    const auto job = jobWith(
        {"sofa 84 x 36 at 10', 5', turned 30", "coffee table 16 from sofa, centred on sofa",
         "armchair 60 from sofa, centred on sofa", "side table 2 left of sofa, centred on sofa",
         "armchair called end chair, 12 left of coffee table, centred on coffee "
         "table",
         "console 30 from wall D, centred on wall D"});
    EXPECT_NEAR(poseOf(job, "Coffee table").turn.inDegrees(), 30, 1e-6);
    EXPECT_NEAR(poseOf(job, "Armchair").turn.inDegrees(), 210, 1e-6) << "it faces the sofa";
    EXPECT_NEAR(poseOf(job, "Side table").turn.inDegrees(), 30, 1e-6);
    EXPECT_NEAR(poseOf(job, "end chair").turn.inDegrees(), 300, 1e-6) << "it faces the table";
    EXPECT_NEAR(poseOf(job, "Console").turn.inDegrees(), 270, 1e-6);
    // And they turn along with it.
    auto turned = *apply(job, readLine("turn sofa 15", job)->edit)->project;
    EXPECT_NEAR(poseOf(turned, "Coffee table").turn.inDegrees(), 45, 1e-6);
    EXPECT_NEAR(poseOf(turned, "end chair").turn.inDegrees(), 315, 1e-6);
}

TEST(Moves, GoAlongThePiecesOwnSidesOrTowardSomething) {
    auto job = jobWith({"stool 10 at 100in, 90in, turned 90", "trunk 40 x 20 at 160in, 90in"});
    const auto say = [&](const char* line) {
        job = *apply(job, readLine(line, job)->edit)->project;
    };
    say("move stool forward 5"); // its front looks toward wall D
    EXPECT_NEAR(poseOf(job, "Stool").at.x / 25.4, 95, 1e-6);
    say("move stool 3 left");
    EXPECT_NEAR(poseOf(job, "Stool").at.y / 25.4, 87, 1e-6);
    say("move stool 7 toward wall A");
    EXPECT_NEAR(poseOf(job, "Stool").at.y / 25.4, 80, 1e-6);
    say("move stool 4 away from wall A");
    EXPECT_NEAR(poseOf(job, "Stool").at.y / 25.4, 84, 1e-6);
    say("move trunk 10 toward stool");
    EXPECT_NEAR(poseOf(job, "Trunk").at.x / 25.4, 150, 0.2);
    EXPECT_NE(refusal(job, "move stool 6 left, against wall A").what, "");
    EXPECT_NE(refusal(job, "add stool 6 left").what, "");
}

TEST(Selected, AreSpokenOfAsIt) {
    const auto job = sofaAndTable();
    const int table = job.scheme().byName("Coffee table")->id;
    for (const char* line : {"it 20 from sofa", "20 from sofa", "move it 4 toward wall C"}) {
        const auto said = readLine(line, job, table);
        ASSERT_TRUE(said) << line << ": " << said.problem().text();
        EXPECT_EQ(said->preview, "Moves Coffee table 4\" toward wall C") << line;
    }
    EXPECT_FALSE(readLine("20 from sofa", job)) << "with nothing selected it says nothing";
}

TEST(Kinds, AreAddedByAnyOfTheirWordsAndAnotherOnTop) {
    const auto job = jobWith({"couch at 5', 5'", "another couch at 12', 5'", "tv at 5', 12'"});
    EXPECT_NE(job.scheme().byName("Sofa 2"), nullptr);
    EXPECT_EQ(job.scheme().pieces[2].kind->id, "television");
    // A name that is there is that piece; a kind by itself adds.
    EXPECT_EQ(jobWith({"sofa at 5', 5'", "sofa at 6', 5'"}).scheme().pieces.size(), 1U);
}

TEST(Names, MayEndInAFigureOrHoldCommas) {
    const auto job =
        jobWith({"dining chair called Seat 4, at 5', 5'",
                 "wing chair called \"Wing chair, left\", at 9', 5'",
                 "stool called number nine at 3', 9'", "bench against wall A called window seat"});
    for (const char* n : {"Seat 4", "Wing chair, left", "number nine", "window seat"})
        EXPECT_NE(job.scheme().byName(n), nullptr) << n;
}
