// Every kind that hangs, in every way it can: its hooks lie on it, and a drop that was assumed says
// so.
#include "hang/hooks.h"
#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* highWall() {
    return "ceiling 12'\nwall A 20'\nwall B 15'\nwall C 20'\nwall D 15'\n";
}

std::optional<HangOf> hangOfOnly(const Project& job) {
    const auto all = hangAll(**sceneOf(job), hookRules(*job.library.book));
    return all.empty() ? std::nullopt : std::optional(all.front());
}

} // namespace

TEST(HooksOnThePiece, OfEveryKindInEveryMount) {
    int seen = 0;
    for (const auto& kind : library().kit->kinds()) {
        if (!kind->hangs() || kind->role == Role::group)
            continue;
        for (const auto& [mount, word] : mountWords) {
            if (mount == Mount::leaned)
                continue;
            auto job = jobWith({fmt::format("{} called Thing on wall A, centred on wall A, centre "
                                            "at 70",
                                            kind->name)},
                               highWall());
            Piece p = *job.scheme().byName("Thing");
            p.hanging.mount = mount;
            const auto held = apply(job, Edit{"", {PutPiece{p}}, {}});
            ASSERT_TRUE(held);
            const auto h = hangOfOnly(*held->project);
            if (!h)
                continue;
            ++seen;
            const Shape& shape = held->scene->walls.placed.front().shape;
            const Box box = bounds(shape);
            for (const HookPoint& k : h->hooks) {
                const Vec2 at{k.along.mm(), k.up.mm()};
                // A curtain's rod carries on its brackets, just at its top edge.
                const bool on = mount == Mount::rod || mount == Mount::brackets
                                    ? at.x >= box.low.x - 0.01 && at.x <= box.high.x + 0.01 &&
                                          at.y >= box.low.y - 0.01 && at.y <= box.high.y + 0.01
                                    : contains(shape, at);
                EXPECT_TRUE(on) << kind->name << " on " << word << ": " << k.along.inInches()
                                << ", " << k.up.inInches();
            }
        }
    }
    EXPECT_GT(seen, 150);
}

TEST(HooksOnThePiece, SayWhenTheirDropIsAssumed) {
    // 24 high about 58: its top is at 70. A sawtooth sits half an inch under it, rings a quarter
    // of the way down (common practice).
    const auto at = [](const char* how) {
        const auto job =
            jobWith({fmt::format("picture 30 x 24 on wall A, centre at 58, {}", how)}, highWall());
        return *hangOfOnly(job);
    };
    const auto saw = at("on a sawtooth");
    EXPECT_NEAR(saw.hooks.at(0).up.inInches(), 69.5, 1e-9);
    EXPECT_TRUE(saw.dropAssumed);
    const auto rings = at("on two rings");
    ASSERT_EQ(rings.hooks.size(), 2U);
    for (const auto& h : rings.hooks)
        EXPECT_NEAR(h.up.inInches(), 64, 1e-9);
    EXPECT_TRUE(rings.dropAssumed);
    const auto measured = at("on a sawtooth, drop 3/4");
    EXPECT_NEAR(measured.hooks.at(0).up.inInches(), 69.25, 1e-9);
    EXPECT_FALSE(measured.dropAssumed);
}

TEST(BracketsOfAShelf, CarryWhatItHolds) {
    // 120 lb and a shelf of about 22, on two brackets, rated four times: 284 each; without the
    // load it would be 44.
    const auto job = jobWith({"floating shelf 60 x 10 of pine on wall A, on 2 brackets, holds 120 "
                              "lb"},
                             highWall());
    const auto h = *hangOfOnly(job);
    ASSERT_EQ(h.hooks.size(), 2U);
    for (const auto& k : h.hooks)
        EXPECT_NEAR(k.rated.lb(), (120 + h.weight.lb()) / 2 * 4, 0.01);
    EXPECT_FALSE(h.cautions.empty()) << "60 lb on each bracket is heavy";
}
