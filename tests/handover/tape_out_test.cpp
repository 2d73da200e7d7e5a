// Marking the floor: in any room every length is a true distance, and two of them mark the point
// again.
#include "handover/tape_out.h"

#include "any_room.h"
#include "geometry/gap.h"
#include "geometry/shape.h"
#include "jobs.h"

#include <numbers>

using namespace mezzet;
using namespace mezzet::test;

namespace {

struct Line {
    Vec2 at;  ///< a point, or the foot on a wall
    Vec2 way; ///< unit, toward the point
};

Line lineOf(const TapeFrom& f, const Room& room, Vec2 point) {
    if (f.wall) {
        const Wall& w = room.walls[static_cast<std::size_t>(*f.wall)];
        const double off = dot(point - w.start, w.inward());
        return {point - w.inward() * off, w.inward()};
    }
    return {*f.at, unit(point - *f.at)};
}

/// Where two lengths meet, nearest to a place: Newton's steps on the two distances.
Vec2 markedBack(const TapeStep& s, const Room& room, Vec2 near) {
    Vec2 p = near;
    for (int i = 0; i < 60; ++i) {
        double r[2];
        Vec2 g[2];
        for (int k = 0; k < 2; ++k) {
            const TapeFrom& f = s.from[static_cast<std::size_t>(k)];
            if (f.wall) {
                const Wall& w = room.walls[static_cast<std::size_t>(*f.wall)];
                r[k] = dot(p - w.start, w.inward()) - f.length.mm();
                g[k] = w.inward();
            } else {
                r[k] = norm(p - *f.at) - f.length.mm();
                g[k] = unit(p - *f.at);
            }
        }
        const double det = cross(g[0], g[1]);
        p = p - Vec2{r[0] * g[1].y - r[1] * g[0].y, g[0].x * r[1] - g[1].x * r[0]} / det;
    }
    return p;
}

} // namespace

TEST(TapeOut, OfAnyRoomIsTrueAndMarksEveryPointAgain) {
    int blocked = 0, all = 0;
    for (unsigned seed = 1; seed <= 80; ++seed) {
        const auto job = anyRoom(seed);
        const auto scene = *sceneOf(job);
        const Room& room = *scene->room;
        const auto tape = tapeOut(*scene, job.notation);
        std::vector<Vec2> known = room.corners();
        for (const TapeStep& s : tape.steps) {
            // Of what lies under other furniture a part is over it whichever way one comes.
            const Shape& own = scene->fromAbove(s.piece)->shape;
            const bool under = std::any_of(
                scene->floor.placed.begin(), scene->floor.placed.end(), [&](const Placed& p) {
                    return p.id != s.piece && !scene->pieceById(p.id)->kind->flat() &&
                           gapBetween(p.shape, own).clear() <= Length{};
                });
            all += under ? 0 : 1;
            blocked += s.overMarked && !under ? 1 : 0;
            Line l[2];
            for (std::size_t k = 0; k < 2; ++k) {
                const TapeFrom& f = s.from[k];
                ASSERT_NE(f.at.has_value(), f.wall.has_value());
                l[k] = lineOf(f, room, s.at);
                // A true distance, from a mark there is.
                EXPECT_NEAR(norm(s.at - l[k].at), f.length.mm(), 0.01);
                if (f.at)
                    EXPECT_TRUE(std::any_of(known.begin(), known.end(),
                                            [&](Vec2 p) { return norm(p - *f.at) < 1e-6; }));
            }
            const double angle =
                std::acos(std::clamp(dot(l[0].way, l[1].way), -1.0, 1.0)) * 180 / std::numbers::pi;
            if (!s.overMarked) {
                EXPECT_GE(angle, leastTapeAngle - 1e-6) << "seed " << seed << " " << s.name;
                EXPECT_LE(angle, mostTapeAngle + 1e-6);
            }
            EXPECT_LT(norm(markedBack(s, room, s.at + Vec2{20, -15}) - s.at), 1);
            known.push_back(s.at);
        }
    }
    EXPECT_LT(blocked, all / 15) << blocked << " of " << all;
}

TEST(TapeOut, HasFourStepsARectangleAndFiveARound) {
    const auto job =
        jobWith({"sofa 84 x 36 at 8', 6'", "round table 48 at 14', 9'", "rug 96 x 60 at 8', 9'",
                 "lamp on table", "picture 20 x 20 on wall A"});
    const auto tape = tapeOut(**sceneOf(job), job.notation);
    std::map<std::string, int> steps;
    for (const TapeStep& s : tape.steps)
        ++steps[s.name];
    EXPECT_EQ(steps.size(), 3U);
    EXPECT_EQ(steps["Sofa"], 4);
    EXPECT_EQ(steps["Round table"], 5);
    EXPECT_EQ(steps["Rug"], 4);
    // The outlines: 2 (84 + 36), 2 (96 + 60), and pi 48 in.
    EXPECT_NEAR(tape.tape.inInches(), 240 + 312 + std::numbers::pi * 48, 0.01);
}

TEST(TapeOut, GoesOverNoPieceThatIsMarked) {
    // A wall of bookcases between a chair and wall A.
    const auto job = jobWith(
        {"bookcase 60 x 12 at 5', 5'", "bookcase 60 x 12 at 10', 5'", "armchair at 8', 10'"});
    const auto scene = *sceneOf(job);
    const auto tape = tapeOut(*scene, job.notation);
    std::vector<int> marked;
    for (const TapeStep& s : tape.steps) {
        for (const TapeFrom& f : s.from) {
            const Vec2 from = f.at ? *f.at : lineOf(f, *scene->room, s.at).at;
            for (const int id : marked)
                if (id != s.piece)
                    for (double t = 0.02; t < 0.99; t += 0.01) {
                        Shape in = scene->fromAbove(id)->shape;
                        const Vec2 p = from + (s.at - from) * t;
                        // Well inside, not along its edge.
                        const bool inside =
                            contains(in, p + Vec2{2, 0}) && contains(in, p - Vec2{2, 0}) &&
                            contains(in, p + Vec2{0, 2}) && contains(in, p - Vec2{0, 2});
                        EXPECT_FALSE(inside && !s.overMarked);
                    }
        }
        marked.push_back(s.piece);
    }
}

TEST(TapeOut, OfAnOpenRoomGoesFromTheWallsThereAre) {
    const auto job = jobWith({"armchair at 6', 5'"}, "ceiling 8'\nwall A 14'\nwall B 10'\n");
    const auto tape = tapeOut(**sceneOf(job), job.notation);
    ASSERT_EQ(tape.steps.size(), 4U);
    for (const TapeStep& s : tape.steps)
        EXPECT_FALSE(s.overMarked);
}
