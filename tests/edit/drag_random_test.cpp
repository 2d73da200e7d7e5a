// What must hold for any drag: it goes where the hand goes, coming back undoes it, and what is not
// dragged and not tied stays.
#include "edit/drag.h"
#include "jobs.h"

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project withSeats() {
    return jobWith(
        {"sofa 84 x 36 against wall A, centred on window 1",
         "coffee table 16 from sofa, centred on sofa",
         "armchair 14 left of coffee table, centred on coffee table, facing coffee table",
         "round table 44 at 15' from wall D, 10' from wall A",
         "dining chair 1 left of round table, centred on round table", "stool at 3', 12'",
         "sideboard against wall C, 40 from corner BC"});
}

Project dragged(const Project& job, int id, Vec2 step, DragTies mode) {
    const auto d = drag(job, **sceneOf(job), {id}, step, mode);
    auto after = apply(job, d.edit);
    if (!after)
        throw std::runtime_error(after.problem().text());
    return *after->project;
}

} // namespace

TEST(AnyDrag, OfATiedPieceThatKeepsItsTiesGoesWhereTheHandGoes) {
    const auto job = withSeats();
    std::mt19937 random(5);
    std::uniform_real_distribution<double> inches(-3, 3);
    for (int i = 0; i < 200; ++i) {
        const auto& piece = job.scheme().pieces[random() % job.scheme().pieces.size()];
        const Vec2 step{inches(random) * 25.4, inches(random) * 25.4};
        const auto before = (*sceneOf(job))->byId(piece.id)->pose;
        const auto d = drag(job, **sceneOf(job), {piece.id}, step, DragTies::revalue);
        const auto after = apply(job, d.edit);
        ASSERT_TRUE(after);
        const auto now = after->scene->byId(piece.id)->pose;
        // A wall stops what stands against it; nothing else holds the hand back.
        const bool stopped = std::any_of(piece.ties.begin(), piece.ties.end(),
                                         [](const Tie& t) { return t.kind == Tie::Kind::against; });
        if (!stopped)
            EXPECT_NEAR(norm(now.at - before.at - step), 0, 0.01) << piece.name;
    }
}

TEST(AnyDrag, ThereAndBackIsWhereItWas) {
    const auto job = withSeats();
    std::mt19937 random(6);
    std::uniform_real_distribution<double> inches(0.5, 8);
    for (int i = 0; i < 100; ++i) {
        const auto& piece = job.scheme().pieces[random() % job.scheme().pieces.size()];
        const Vec2 step{inches(random) * 25.4, inches(random) * 25.4};
        const auto back =
            dragged(dragged(job, piece.id, step, DragTies::drop), piece.id, -step, DragTies::drop);
        const auto a = (*sceneOf(job))->byId(piece.id)->pose.at;
        const auto b = (*sceneOf(back))->byId(piece.id)->pose.at;
        EXPECT_NEAR(norm(a - b), 0, 0.01) << piece.name;
    }
}

TEST(AnyDrag, OfAGroupMovesItAsOne) {
    const auto job = withSeats();
    const std::vector<int> group{job.scheme().byName("Round table")->id,
                                 job.scheme().byName("Dining chair")->id};
    const auto d = drag(job, **sceneOf(job), group, {100, -80}, DragTies::revalue);
    const auto after = apply(job, d.edit);
    ASSERT_TRUE(after);
    for (const int id : group) {
        const Vec2 moved = after->scene->byId(id)->pose.at - (*sceneOf(job))->byId(id)->pose.at;
        EXPECT_NEAR(moved.x, 100, 0.01);
        EXPECT_NEAR(moved.y, -80, 0.01);
    }
    const auto& chair = *after->project->scheme().byName("Dining chair");
    EXPECT_EQ(chair.ties, job.scheme().byName("Dining chair")->ties)
        << "ties within the group are as they were";
}

TEST(AnyDrag, LeavesAloneWhatIsNotTiedToIt) {
    const auto job = withSeats();
    const auto after =
        dragged(job, job.scheme().byName("Round table")->id, {70, 50}, DragTies::revalue);
    for (const char* still : {"Sofa", "Coffee table", "Armchair", "Stool", "Sideboard"})
        EXPECT_EQ(poseOf(job, still).at, poseOf(after, still).at) << still;
    EXPECT_NE(poseOf(job, "Dining chair").at, poseOf(after, "Dining chair").at)
        << "it follows its table";
}

TEST(AnyDrag, OfALockedPieceDoesNothing) {
    auto job = withSeats();
    auto said = readLine("lock stool", job);
    job = *apply(job, said->edit)->project;
    const auto d =
        drag(job, **sceneOf(job), {job.scheme().byName("Stool")->id}, {50, 50}, DragTies::revalue);
    EXPECT_TRUE(d.edit.acts.empty());
}

TEST(Resolving, AnEditThatChangesNothingMovesNothing) {
    const auto job = withSeats();
    const auto same = apply(job, {"nothing", {SetNotation{job.notation}}, {}});
    ASSERT_TRUE(same);
    for (const auto& p : job.scheme().pieces)
        EXPECT_EQ((*sceneOf(job))->byId(p.id)->pose, same->scene->byId(p.id)->pose) << p.name;
}

TEST(Resolving, DoesNotDependOnTheOrderPiecesWerePlacedIn) {
    const auto job = withSeats();
    auto turned = std::make_shared<Scheme>(job.scheme());
    std::reverse(turned->pieces.begin(), turned->pieces.end());
    const auto a = *sceneOf(job);
    const auto b = *resolve(job.room, turned, job.notation);
    for (const auto& p : job.scheme().pieces)
        EXPECT_NEAR(norm(a->byId(p.id)->pose.at - b->byId(p.id)->pose.at), 0, 1e-9) << p.name;
}
