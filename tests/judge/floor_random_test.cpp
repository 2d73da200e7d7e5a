// What must hold of the floor's readings in any room.
#include "jobs.h"
#include "judge/compare.h"
#include "judge/floor_ways.h"
#include "judge/sights.h"
#include "judge/use.h"
#include "judge/ways.h"
#include "judge/zones.h"
#include "rounds.h"

#include <fmt/format.h>

#include <cstdlib>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

int roomRuns() {
    return rounds(40, 300);
}

const char* twoDoors() {
    return "ceiling 8'\nwall A 22'\n window 8' from left, 6' wide, 4' high, sill 30\nwall B 16'\n "
           "door 5' "
           "from left, 34 wide, hinge left, swings out\nwall C 22'\n door 3' from left, 36 wide, "
           "hinge "
           "right, swings in, undercut 3/4\nwall D 16'";
}

Project any(unsigned seed) {
    std::mt19937 random(seed);
    const auto whole = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    const char* kinds[] = {"sofa",     "armchair",   "coffee table", "dresser",   "bookcase",
                           "trunk",    "floor lamp", "round table",  "sideboard", "queen bed",
                           "loveseat", "side table", "corner sofa",  "television"};
    std::vector<std::string> lines;
    const int n = whole(3, 11);
    for (int i = 0; i < n; ++i)
        lines.push_back(fmt::format("{} called Piece {} at {}in, {}in, turned {}",
                                    kinds[whole(0, 13)], i, whole(20, 244), whole(20, 172),
                                    whole(0, 23) * 15));
    if (whole(0, 1) == 0) {
        lines.push_back("dining table 60 x 36 called Board at 12', 9'");
        lines.push_back(fmt::format("seat board with {}", whole(2, 6)));
    }
    if (whole(0, 2) == 0)
        lines.push_back("access on");
    return jobWith(lines, twoDoors());
}

} // namespace

TEST(AnyFloor, EveryReadingIsFiniteAndNamesWhatIsThere) {
    for (int seed = 0; seed < roomRuns(); ++seed) {
        const auto job = any(static_cast<unsigned>(seed));
        for (const auto& r : readingsOf(job)) {
            EXPECT_TRUE(std::isfinite(r.value.value)) << seed << " " << r.rule->id;
            for (const Vec2 p : r.at)
                EXPECT_TRUE(std::isfinite(p.x) && std::isfinite(p.y)) << seed << " " << r.rule->id;
            if (r.piece != 0)
                EXPECT_NE(job.scheme().byId(r.piece), nullptr);
            if (r.also != 0)
                EXPECT_NE(job.scheme().byId(r.also), nullptr) << r.rule->id;
            if (r.rule->id.starts_with("walkway"))
                EXPECT_GE(r.value.value, 0);
            if (r.value.quantity == Quantity::ratio && r.rule->id != "table-to-sofa" &&
                r.rule->id != "scale" && r.rule->id != "screen-to-console")
                EXPECT_LE(r.value.value, 1 + 1e-9) << r.rule->id;
            EXPECT_FALSE(r.other.is == Target::Is::piece && r.other.piece == r.piece)
                << seed << " " << r.rule->id << " is read against itself";
        }
    }
}

TEST(AnyFloor, NoTwoReadingsAreTheSame) {
    for (int seed = 0; seed < roomRuns(); ++seed) {
        const auto all = readingsOf(any(static_cast<unsigned>(seed)));
        for (std::size_t i = 0; i < all.size(); ++i)
            for (std::size_t k = 0; k < i; ++k)
                EXPECT_FALSE(all[i].sameAs(all[k])) << seed << " " << all[i].rule->id;
    }
}

TEST(AnyFloor, ARemovedPieceNeverNarrowsAWay) {
    const auto narrowest = [](const Project& job) {
        const Room& room = *job.room;
        const auto ways = floorWays(**sceneOf(job), {Length::metres(3), false, {}, {}});
        const auto pinch = ways.finder.narrowest({middleOf(room, room.openings[1]), 1},
                                                 {middleOf(room, room.openings[2]), 2});
        return pinch ? pinch->width.mm() : 3000;
    };
    for (int seed = 0; seed < roomRuns(); ++seed) {
        const auto job = any(static_cast<unsigned>(seed));
        const double before = narrowest(job);
        const auto less = apply(job, Edit{"", {RemovePiece{job.scheme().pieces.front().id}}, {}});
        ASSERT_TRUE(less);
        EXPECT_GE(narrowest(*less->project), before - 1e-6) << seed;
    }
}

TEST(AnyFloor, ViewsAreWholeAndBacksArePartOfThem) {
    for (int seed = 0; seed < roomRuns(); ++seed) {
        const auto job = any(static_cast<unsigned>(seed));
        const auto scene = *sceneOf(job);
        for (const auto& o : job.room->openings) {
            const auto v = o.kind == OpeningKind::window ? viewFromOutside(*scene, o)
                                                         : viewFromDoor(*scene, o);
            double sum = 0;
            double backs = 0;
            for (const auto& i : v.items) {
                EXPECT_GT(i.share, 0);
                sum += i.share;
                backs += i.backSeen ? i.share : 0;
            }
            if (!v.items.empty())
                EXPECT_NEAR(sum, 1, 1e-6) << seed;
            EXPECT_NEAR(backs, v.backs, 1e-9);
            for (std::size_t i = 1; i < v.items.size(); ++i)
                EXPECT_LE(v.items[i].share, v.items[i - 1].share);
        }
        for (const auto& z : useZones(*scene, *library().book)) {
            EXPECT_GE(z.free, Length{});
            EXPECT_GE(z.outline.size(), 3U);
            if (z.free < z.wanted - Length::millimetres(0.1))
                EXPECT_NE(z.stops.is, Target::Is::none) << "what clashes is named";
        }
        const auto b = balanceOf(*scene);
        double share = 0;
        for (const double s : b.footprint)
            share += s;
        EXPECT_NEAR(share, 1, 1e-6);
    }
}

TEST(AnyFloor, DrawnWaysRunFromDoorToDoorAndTellWhatTheReadingTells) {
    int drawn = 0;
    for (int seed = 0; seed < roomRuns(); ++seed) {
        const auto job = any(static_cast<unsigned>(seed));
        const auto ways = waysToDraw(**sceneOf(job), *library().book, job.judgement);
        for (const auto& w : ways) {
            ++drawn;
            EXPECT_GE(w.line.size(), 2U);
            if (!w.width)
                continue;
            bool told = false;
            for (const auto& r : readingsOf(job))
                told = told || (r.rule->id == "walkway-main" &&
                                std::abs(r.value.value - w.width->mm()) < 1e-6);
            // A pinch between walls alone is no reading.
            EXPECT_TRUE(told || w.width->mm() < 914.4 + 1e-6) << seed;
        }
    }
    EXPECT_GT(drawn, roomRuns() / 4);
}

TEST(AnyFloor, ASchemeDiffersFromItsCopyInNothing) {
    for (int seed = 0; seed < roomRuns() / 4; ++seed) {
        auto job = any(static_cast<unsigned>(seed));
        const auto copied = apply(job, Edit{"", {AddScheme{"Copy", true}}, {}});
        ASSERT_TRUE(copied);
        const auto a = summaryOf(*copied->project, 0);
        const auto b = summaryOf(*copied->project, 1);
        ASSERT_TRUE(a && b);
        EXPECT_TRUE(differencesBetween(*copied->project, *a, *b).empty());
        EXPECT_EQ(a->toMend, b->toMend);
        EXPECT_EQ(a->seats, b->seats);
    }
}
