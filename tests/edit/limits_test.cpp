// What a job can hold, and what is kept when a room or an arrangement changes.
#include "edit/after.h"
#include "edit/drag.h"
#include "edit/held_step.h"
#include "edit/snap.h"
#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

TEST(Limits, ASchemeHoldsTwoThousandPiecesAndNotOneMore) {
    auto job = jobWith({"stool at 24, 24"});
    auto full = std::make_shared<Scheme>(job.scheme());
    const Piece one = full->pieces.front();
    while (full->pieces.size() < mostPieces - 1) {
        Piece p = one;
        p.id = full->nextId++;
        p.name = fmt::format("Stool {}", p.id);
        full->pieces.push_back(std::move(p));
    }
    job.schemes[job.active] = full;
    const auto said = readLine("bench at 10', 7'", job);
    ASSERT_TRUE(said) << said.problem().text();
    const auto last = apply(job, said->edit);
    ASSERT_TRUE(last) << last.problem().text();
    EXPECT_EQ(last->project->scheme().pieces.size(), mostPieces);
    const auto more = readLine("trunk at 10', 9'", *last->project);
    const auto tried = more ? apply(*last->project, more->edit) : Result<Applied>(more.problem());
    ASSERT_FALSE(tried);
    EXPECT_NE(tried.problem().what.find("at most 2000"), std::string::npos)
        << tried.problem().text();
}

TEST(Limits, ANameHoldsEightyCharacters) {
    const auto job = jobWith({"sofa at 10', 7'"});
    const std::string eighty(80, 'n');
    const auto named = after(job, "rename sofa to " + eighty);
    EXPECT_NE(named.scheme().byName(eighty), nullptr);
    const auto said = readLine("rename sofa to " + eighty + "n", job);
    EXPECT_FALSE(said && apply(job, said->edit));
    // However it comes there.
    auto edit = readLine("rename sofa to " + eighty, job)->edit;
    auto& put = std::get<PutPiece>(edit.acts.front());
    ASSERT_TRUE(apply(job, edit));
    put.piece.name += 'n';
    EXPECT_FALSE(apply(job, edit));
    // Characters, not bytes.
    std::string accents;
    for (int i = 0; i < 80; ++i)
        accents += "é";
    EXPECT_NE(after(job, "rename sofa to " + accents).scheme().byName(accents), nullptr);
}

TEST(Guests, WhatIsPutAwayForThemStandsEveryDayAsItDid) {
    auto job = jobWith(
        {"ottoman at 3', 3'", "for guests", "ottoman at 10', 8'", "put away ottoman", "every day"});
    ASSERT_NE(job.scheme().byName("Ottoman"), nullptr);
    const Vec2 at = poseOf(job, "Ottoman").at;
    EXPECT_NEAR(at.x, 36 * 25.4, 1e-6);
    EXPECT_NEAR(at.y, 36 * 25.4, 1e-6);
}

TEST(AWallThatGoes, LeavesWhatHangsThereAtItsHeight) {
    const char* five =
        "wall A 20'\nwall B 10'\ncorner 45\nwall C 60\ncorner 45\nwall D 20'\nwall E "
        "14'\n";
    const auto job = newProject(library(), five);
    ASSERT_TRUE(job);
    auto there =
        jobWith({"picture 20 x 16 called Mill on wall E, 20 from left corner, at eye level"}, five);
    Edit change;
    change.acts.emplace_back(
        SetNotes{"ceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\nwall D 15'\n"});
    const auto next = apply(there, change);
    ASSERT_TRUE(next) << next.problem().text();
    const Piece& mill = *next->project->scheme().byName("Mill");
    EXPECT_EQ(mill.wall(), 3);
    ASSERT_EQ(mill.ties.size(), 1U);
    EXPECT_EQ(mill.ties.front().kind, Tie::Kind::eyeLevel);
}

TEST(WallSnap, NeverOffersWhatHangsByThePieceItself) {
    const auto job = jobWith({"picture 20 x 20 on wall A called One, at 40, 58",
                              "picture 12 x 12 called Two, 3 right of One"});
    const int one = job.scheme().byName("One")->id;
    for (const double x : {-30.0, -5.0, 0.0, 5.0, 30.0})
        if (const auto offer = snapFor(job, **sceneOf(job), one, {x, 2}, Length::inches(3)))
            EXPECT_EQ(offer->words.find("Two"), std::string::npos) << offer->words;
}

TEST(Dragged, PastTheEndOfItsTableAChairLetsGoOfIt) {
    const auto job = jobWith({"dining table 72 x 36 at 10', 7'",
                              "stool 20 in front of dining table, centred on dining table"});
    const int stool = job.scheme().byName("Stool")->id;
    const auto tied = [&](double inches) {
        const auto moved =
            drag(job, **sceneOf(job), {stool}, {inches * 25.4, 0}, DragTies::revalue);
        const auto next = apply(job, moved.edit);
        const Piece& p = *next->project->scheme().byId(stool);
        return std::any_of(p.ties.begin(), p.ties.end(),
                           [](const Tie& t) { return t.kind == Tie::Kind::centredOn; });
    };
    EXPECT_TRUE(tied(30)) << "still before the table";
    EXPECT_FALSE(tied(40)) << "past its end";
}
