// Whatever must hold of any wall: places that stay put, files that read back, remedies that mend,
// hooks on their pieces, and edits that are undone whole.
#include "edit/drag.h"
#include "edit/pieces.h"
#include "hung.h"
#include "jobs.h"
#include "judge/on_walls.h"
#include "rounds.h"
#include "scheme/tie_kind.h"

#include <fmt/format.h>

#include <cmath>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A furnished room with a handful of things on its walls, some tied, some in a group.
Project randomWalls(std::mt19937& random) {
    const auto in = [&](int low, int high) {
        return low + static_cast<int>(random() % static_cast<unsigned>(high - low + 1));
    };
    std::vector<std::string> lines{fmt::format(
        "sofa 84 x 36 x 34 against wall {}, centred on wall {}", "BCD"[in(0, 2)], "BCD"[in(0, 2)])};
    lines.back() = fmt::format("sofa 84 x 36 x 34 against wall C, {} from wall B", in(5, 100));
    lines.emplace_back(
        fmt::format("sideboard 60 x 18 x 34 against wall B, {} from wall A", in(2, 60)));
    const char* kinds[] = {"picture", "mirror", "canvas", "round mirror", "plate", "box frame"};
    const int count = in(3, 8);
    for (int i = 0; i < count; ++i) {
        const bool round = i % 6 == 3 || i % 6 == 4;
        const int w = in(8, 40);
        const int h = round ? w : in(8, 36);
        std::string line = fmt::format("add {} {} x {} called T{}", kinds[i % 6], w, h, i);
        switch (in(0, 4)) {
        case 0:
            line += fmt::format(", {} above sofa", in(2, 12));
            break;
        case 1:
            line += fmt::format(" on wall {}, {} from left corner, centre at {}", "ABCD"[in(0, 3)],
                                in(2, 100), in(40, 70));
            break;
        case 2:
            line +=
                fmt::format(" on wall {}, at {}, {}", "ABCD"[in(0, 3)], in(20, 150), in(30, 80));
            break;
        case 3:
            line += i > 0 ? fmt::format(", {} right of T{}, top with T{}", in(1, 8), i - 1, i - 1)
                          : std::string(", above sideboard");
            break;
        default:
            line += fmt::format(" on wall {}, at eye level, centred on wall {}", "ABCD"[i % 4],
                                "ABCD"[i % 4]);
        }
        lines.push_back(line);
    }
    return jobWith(lines);
}

} // namespace

TEST(AnyWall, ResolvedTwiceStandsWhereItStood) {
    std::mt19937 random(31);
    for (int i = 0; i < rounds(40, 400); ++i) {
        const auto job = randomWalls(random);
        const auto a = *sceneOf(job);
        const auto text = jobText(job);
        const auto back = readJob(text, "random", library());
        ASSERT_TRUE(back) << back.problem().text();
        EXPECT_EQ(jobText(**back), text);
        const auto b = *sceneOf(**back);
        ASSERT_EQ(a->walls.placed.size(), b->walls.placed.size());
        for (std::size_t k = 0; k < a->walls.placed.size(); ++k)
            EXPECT_LT(norm(a->walls.placed[k].pose.at - b->walls.placed[k].pose.at), 1e-9);
    }
}

TEST(AnyWall, EveryTieHoldsToAHundredthOfAMillimetre) {
    std::mt19937 random(32);
    for (int i = 0; i < rounds(40, 400); ++i) {
        const auto job = randomWalls(random);
        const auto scene = *sceneOf(job);
        for (std::size_t k = 0; k < scene->walls.placed.size(); ++k) {
            const Piece& p = WallsView(*scene).hungPiece(k);
            const Placed& where = scene->walls.placed[k];
            for (const Tie& t : p.ties)
                for (const TieLine& l :
                     tieLines(TieAsk{t, p, where.pose.turn, *scene, where.pose.at.x}))
                    EXPECT_NEAR(dot(l.normal, where.pose.at), l.offset, 0.01)
                        << p.name << ": " << words(t, job.wording());
        }
    }
}

TEST(AnyWall, ADragGoesWhereTheHandWentAndBackAgain) {
    std::mt19937 random(33);
    std::uniform_real_distribution<double> step(-150, 150);
    int moved = 0;
    for (int i = 0; i < rounds(60, 600); ++i) {
        const auto job = randomWalls(random);
        const auto scene = *sceneOf(job);
        const auto hung = mezzet::test::hungIn(job.scheme());
        const int id = hung[random() % hung.size()].id;
        const Vec2 by{step(random), step(random)};
        const auto there = drag(job, *scene, {id}, by, DragTies::revalue);
        const auto next = apply(job, there.edit);
        ASSERT_TRUE(next) << next.problem().text();
        const Vec2 was = scene->byId(id)->pose.at;
        EXPECT_LT(norm(next->scene->byId(id)->pose.at - was - by), 0.01);
        const auto home = drag(*next->project, *next->scene, {id}, -by, DragTies::revalue);
        const auto back = apply(*next->project, home.edit);
        ASSERT_TRUE(back);
        EXPECT_LT(norm(back->scene->byId(id)->pose.at - was), 0.01);
        ++moved;
    }
    EXPECT_GT(moved, rounds(60, 600) / 2);
}

TEST(AnyWall, ReadingsAreNumbersOnTheWallOfTheirPiece) {
    std::mt19937 random(34);
    for (int i = 0; i < rounds(40, 400); ++i) {
        const auto job = randomWalls(random);
        for (const Reading& r : readingsOf(job)) {
            ASSERT_TRUE(std::isfinite(r.value.value)) << r.rule->id;
            if (r.surface.isFloor())
                continue;
            const Piece* p = job.scheme().byId(r.piece);
            ASSERT_NE(p, nullptr);
            EXPECT_EQ(p->on, r.surface) << r.rule->id;
            EXPECT_FALSE(titleOf(r, job.wording()).empty());
            const auto why = whyOf(r, job.wording());
            EXPECT_FALSE(why.empty());
            EXPECT_EQ(why.find('{'), std::string::npos) << "every blank is filled: " << why;
        }
    }
}

TEST(AnyWall, HooksLieOnTheirPieceAndCarryAllOfIt) {
    std::mt19937 random(35);
    for (int i = 0; i < rounds(40, 400); ++i) {
        const auto job = randomWalls(random);
        const auto scene = *sceneOf(job);
        for (const HangOf& h : hangAll(*scene, hookRules(*job.library.book))) {
            const Box b = bounds(scene->byId(h.piece)->shape);
            double carried = 0;
            for (const HookPoint& k : h.hooks) {
                EXPECT_GE(k.along.mm(), b.low.x - 1e-6);
                EXPECT_LE(k.along.mm(), b.high.x + 1e-6);
                EXPECT_LE(k.up.mm(), b.high.y + 1e-6);
                EXPECT_GE(k.up.mm(), b.low.y - 1e-6);
                EXPECT_NEAR(k.along.mm() + k.fromRight.mm(),
                            job.room->walls[static_cast<std::size_t>(h.wall)].length().mm(), 1e-6);
                carried += k.carries.kg();
            }
            if (!h.hooks.empty())
                EXPECT_NEAR(carried, h.weight.kg(), 1e-9);
        }
    }
}

TEST(AnyWall, AnOfferedRemedyMendsWhatItIsOfferedFor) {
    std::mt19937 random(36);
    int offered = 0;
    for (int i = 0; i < rounds(8, 80); ++i) {
        const auto job = randomWalls(random);
        const auto scene = *sceneOf(job);
        const auto all = readingsOf(job);
        for (const Reading& r : all) {
            if (r.surface.isFloor() || !r.toMend() || r.rule->id == "clash")
                continue;
            const auto mend = remedyFor(r, job, *scene, all);
            if (!mend)
                continue;
            ++offered;
            const auto next = apply(job, mend->edit);
            ASSERT_TRUE(next) << mend->line;
            for (const Reading& x : readingsOf(*next->project))
                if (x.sameAs(r))
                    EXPECT_FALSE(x.toMend()) << r.rule->id << ": " << mend->line;
        }
    }
    EXPECT_GT(offered, rounds(8, 80) / 2);
}

TEST(AnyWall, GroupsKeepTheirPiecesWhereTheyHung) {
    std::mt19937 random(37);
    for (int i = 0; i < rounds(30, 300); ++i) {
        auto job = randomWalls(random);
        std::vector<std::string> lines;
        const int count = 2 + static_cast<int>(random() % 5);
        std::string names;
        for (int k = 0; k < count; ++k) {
            const auto line = fmt::format("add picture {} x {} called G{} on wall D, at {}, {}",
                                          6 + random() % 12, 6 + random() % 12, k, 20 + 22 * k,
                                          40 + random() % 30);
            auto said = readLine(line, job);
            ASSERT_TRUE(said) << said.problem().text();
            job = *apply(job, said->edit)->project;
            names += fmt::format("{}G{}", k == 0 ? "" : k + 1 == count ? " and " : ", ", k);
        }
        std::vector<Vec2> before;
        for (int k = 0; k < count; ++k)
            before.push_back(poseOf(job, fmt::format("G{}", k).c_str()).at);
        auto said = readLine("group " + names + " called Wall", job);
        ASSERT_TRUE(said) << said.problem().text();
        const auto grouped = *apply(job, said->edit)->project;
        for (int k = 0; k < count; ++k)
            EXPECT_LT(norm(poseOf(grouped, fmt::format("G{}", k).c_str()).at -
                           before[static_cast<std::size_t>(k)]),
                      1e-6);
        // Moved as one, each goes the same way; removed, nothing of it is left.
        auto move = readLine("move Wall 5 right", grouped);
        ASSERT_TRUE(move) << move.problem().text();
        const auto shifted = *apply(grouped, move->edit)->project;
        for (int k = 0; k < count; ++k)
            EXPECT_LT(norm(poseOf(shifted, fmt::format("G{}", k).c_str()).at -
                           before[static_cast<std::size_t>(k)] - Vec2{127, 0}),
                      1e-6);
        const auto gone =
            apply(grouped, removePieces(grouped, {grouped.scheme().byName("Wall")->id}));
        ASSERT_TRUE(gone);
        for (const Piece& p : mezzet::test::hungIn(gone->project->scheme()))
            EXPECT_FALSE(p.name.starts_with("G"));
    }
}

TEST(AnyWall, TheLineTakesAnyWordsAboutWalls) {
    std::mt19937 random(38);
    const char* bits[] = {"picture",      "mirror",     "group",       "arrange",
                          "P1",           "on wall C",  "above",       "6",
                          "sofa",         "as a",       "grid",        "gap",
                          "within",       "20 x",       "at",          "eye level",
                          "top with",     "centred on", "left corner", ",",
                          "keeping",      "called",     "weighs",      "lb",
                          "on two rings", "between",    "and",         "over stairs",
                          "leaned on",    "of oak",     "wrap",        "round the corner",
                          "answer",       "hooks",      "showing",     "5'"};
    const auto job = jobWith({"sofa against wall C", "picture on wall C called P1",
                              "picture on wall C called P2, at 30, 60"});
    for (int i = 0; i < rounds(1500, 20000); ++i) {
        std::string line;
        for (int k = static_cast<int>(random() % 9) + 1; k > 0; --k)
            line += std::string(bits[random() % std::size(bits)]) + " ";
        const auto said = readLine(line, job);
        if (!said)
            EXPECT_FALSE(said.problem().what.empty()) << line;
    }
}
