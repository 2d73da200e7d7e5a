// Where things come to stand along walls and along tables, by the corners of their outlines:
// inside, in line, evenly, and turned together with what they belong to.
#include "edit/after.h"
#include "edit/drag.h"
#include "geometry/gap.h"
#include "jobs.h"
#include "judge/ahead.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Placed& placedOf(const Scene& scene, const Project& job, const std::string& name) {
    return *scene.fromAbove(job.scheme().byName(name)->id);
}

/// How far the corners of a piece are past the nearest wall that is behind them; mm, 0 for none.
double pastWalls(const Project& job, const Placed& p) {
    double out = 0;
    for (const Vec2 c : outline(p.shape))
        for (const Wall& w : job.room->walls)
            out = std::max(out, -dot(c - w.start, w.inward()));
    return out;
}

} // namespace

TEST(AlongWalls, ABedAndWhatGoesAlongStayInside) {
    for (const char* wall : {"A", "B", "C", "D"})
        for (const char* other : {"A", "B", "C", "D"}) {
            const auto job =
                jobWith({fmt::format("queen bed against wall {0}, centred on wall {0}", wall),
                         "nightstand 20 x 18 x 26 left of queen bed",
                         "nightstand 20 x 18 x 26 right of queen bed"});
            const auto now = after(job, fmt::format("queen bed against wall {}", other));
            const auto scene = *sceneOf(now);
            for (const Piece& p : now.scheme().pieces)
                EXPECT_LT(pastWalls(now, placedOf(*scene, now, p.name)), 0.01)
                    << p.name << " from " << wall << " to " << other;
            const Wall& w = now.room->walls[static_cast<std::size_t>(other[0] - 'A')];
            const auto& bed = placedOf(*scene, now, "Queen bed");
            EXPECT_NEAR(dot(bed.pose.front(), w.inward()), 1, 1e-9);
        }
}

TEST(AlongWalls, StorageHasItsBackInLineWithItsNeighboursAtTheWall) { // common practice
    for (const char* depth : {"10", "14", "18", "24", "30"}) {
        const auto job = jobWith({"sideboard 60 x 18 x 34 against wall B, centred on wall B",
                                  fmt::format("bookcase 30 x {} x 78 left of sideboard", depth)});
        const auto scene = *sceneOf(job);
        const Wall& w = job.room->walls[1];
        for (const char* name : {"Sideboard", "Bookcase"}) {
            double back = 1e9;
            for (const Vec2 c : outline(placedOf(*scene, job, name).shape))
                back = std::min(back, dot(c - w.start, w.inward()));
            EXPECT_NEAR(back, 0, 0.01) << name << ' ' << depth;
        }
    }
}

TEST(AlongWalls, WhatTouchesAWallHasNoRoomThere) {
    const auto job = jobWith({"sideboard 60 x 18 x 34 against wall B, centred on wall B"});
    const auto scene = *sceneOf(job);
    const Piece& p = *job.scheme().byName("Sideboard");
    const FloorView floor(*scene);
    const auto& where = placedOf(*scene, job, "Sideboard");
    const auto behind = aheadOf(floor, p, where, Side::behind);
    ASSERT_TRUE(behind.stop);
    EXPECT_EQ(behind.stop->what, wallTarget(1));
    EXPECT_NEAR(behind.stop->ahead, 0, 0.01);
    // Before it is the whole room: as far as the wall across from it.
    const auto front = aheadOf(floor, p, where, Side::front);
    ASSERT_TRUE(front.stop);
    const Wall& b = job.room->walls[1];
    double across = 0;
    for (const Wall& w : job.room->walls)
        across = std::max(across, dot(w.start - b.start, b.inward()));
    EXPECT_NEAR(front.stop->ahead, across - 18 * 25.4, 0.01);
}

TEST(AlongATable, StoolsAreSpacedEvenlyAndLookAtIt) { // common practice
    for (int count = 2; count <= 4; ++count) {
        const auto job = jobWith({"kitchen island 96 x 36 in the middle of the room"});
        const auto now = after(job, fmt::format("{} bar stools behind the island", count));
        const auto scene = *sceneOf(now);
        const auto& island = placedOf(*scene, now, "Kitchen island");
        std::vector<double> along;
        for (const Piece& p : now.scheme().pieces)
            if (p.name.starts_with("Bar stool")) {
                const auto& stool = placedOf(*scene, now, p.name);
                const Vec2 local = island.pose.toLocal(stool.pose.at);
                along.push_back(local.x);
                EXPECT_LT(local.y, 0) << p.name;
                EXPECT_NEAR(dot(stool.pose.front(), island.pose.front()), 1, 1e-9) << p.name;
                EXPECT_NEAR(gapBetween(stool.shape, island.shape).apart.mm(), 0, 0.01) << p.name;
            }
        ASSERT_EQ(along.size(), static_cast<std::size_t>(count));
        std::sort(along.begin(), along.end());
        const double pitch = 96 * 25.4 / count;
        for (int i = 0; i < count; ++i)
            EXPECT_NEAR(along[static_cast<std::size_t>(i)], pitch * (i - (count - 1) / 2.0), 0.01)
                << count;
    }
}

TEST(AlongATable, LampsAtItsEndsStandOnIt) {
    const auto job = after(jobWith({"console 60 x 14 x 32 against wall C, centred on wall C"}),
                           "lamps at both ends of the console");
    const auto scene = *sceneOf(job);
    const auto& console = placedOf(*scene, job, "Console");
    std::vector<double> ends;
    for (const char* name : {"Table lamp", "Table lamp 2"}) {
        const Piece* lamp = job.scheme().byName(name);
        ASSERT_NE(lamp, nullptr) << name;
        EXPECT_EQ(lamp->on, onTop(job.scheme().byName("Console")->id));
        const double x = console.pose.toLocal(scene->inPlan(lamp->id)->pose.at).x;
        ends.push_back(30 * 25.4 - std::abs(x) - lamp->size.width.mm() / 2);
        EXPECT_NEAR(ends.back(), 2 * 25.4, 0.01) << name;
    }
}

TEST(TurnedTogether, ChairsGoRoundWithTheirTable) {
    const auto job =
        jobWith({"dining table 60 x 36 in the middle of the room", "seat dining table with 4"});
    const auto before = *sceneOf(job);
    std::vector<int> ids;
    for (const Piece& p : job.scheme().pieces)
        ids.push_back(p.id);
    for (const double degrees : {15.0, 90.0, -40.0}) {
        const auto edit = turnBy(job, *before, ids, Angle::degrees(degrees));
        ASSERT_TRUE(edit);
        const auto now = apply(job, *edit);
        ASSERT_TRUE(now);
        const auto& table = placedOf(*before, job, "Dining table");
        const auto& turned = placedOf(*now->scene, *now->project, "Dining table");
        for (const Piece& p : job.scheme().pieces) {
            // As it stood to the table, so it stands.
            const Vec2 was = table.pose.toLocal(placedOf(*before, job, p.name).pose.at);
            const Vec2 is =
                turned.pose.toLocal(placedOf(*now->scene, *now->project, p.name).pose.at);
            EXPECT_NEAR(was.x, is.x, 0.01) << p.name << ' ' << degrees;
            EXPECT_NEAR(was.y, is.y, 0.01) << p.name << ' ' << degrees;
            EXPECT_EQ(now->project->scheme().byName(p.name)->ties.empty(), p.ties.empty());
        }
    }
}

TEST(OnAnotherWall, WhatHungOverSomethingHangsAtEyeLevelAndThatIsTold) {
    const auto job = jobWith(
        {"console 54 x 14 x 32 against wall B, centred on wall B", "mirror 30 x 40 above console"});
    const auto said = readLine("move mirror to wall C", job);
    ASSERT_TRUE(said);
    EXPECT_NE(said->preview.find("above Console"), std::string::npos) << said->preview;
    const auto now = apply(job, said->edit);
    ASSERT_TRUE(now);
    const Piece& mirror = *now->project->scheme().byName("Mirror");
    EXPECT_EQ(mirror.wall(), 2);
    EXPECT_TRUE(std::none_of(mirror.ties.begin(), mirror.ties.end(), [&](const Tie& t) {
        return t.fixesHeight() && t.refersTo(job.scheme().byName("Console")->id);
    }));
    EXPECT_NEAR(now->scene->byId(mirror.id)->pose.at.y,
                eyeLevel(*library().book, job.judgement).mm(), 0.01);
    // On its own wall it stays as high over the console.
    const auto stays = after(job, "mirror 3 left");
    EXPECT_NEAR((*sceneOf(stays))->byId(mirror.id)->pose.at.y,
                (*sceneOf(job))->byId(mirror.id)->pose.at.y, 0.01);
}
