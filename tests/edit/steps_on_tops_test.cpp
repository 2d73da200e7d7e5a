// A step of what stands on a top: to its left as one faces it, and toward things of the room,
// whichever way the piece under it is turned.
#include "edit/after.h"
#include "geometry/gap.h"
#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Vec2 inPlan(const Project& job, const char* name) {
    const auto scene = *sceneOf(job);
    return scene->inPlan(job.scheme().byName(name)->id)->pose.at;
}

} // namespace

TEST(StepOnATop, GoesToTheLeftAsOneFacesIt) {
    for (const char* wall : {"A", "B", "C", "D"}) {
        const auto job = jobWith({fmt::format("console 54 x 14 x 32 against wall {0}, centred on "
                                              "wall {0}",
                                              wall),
                                  "vase on console, centred on console"});
        // Whoever faces the console faces its wall.
        const Wall& w = job.room->walls[static_cast<std::size_t>(wall[0] - 'A')];
        const Vec2 from = inPlan(job, "Vase");
        const Vec2 left = inPlan(after(job, "move vase 6 left"), "Vase") - from;
        EXPECT_NEAR(dot(left, w.along()), -6 * 25.4, 0.01) << wall;
        EXPECT_NEAR(dot(left, w.inward()), 0, 0.01) << wall;
        const Vec2 right = inPlan(after(job, "move vase 6 right"), "Vase") - from;
        EXPECT_NEAR(dot(right, w.along()), 6 * 25.4, 0.01) << wall;
        const Vec2 forward = inPlan(after(job, "move vase 2 forward"), "Vase") - from;
        EXPECT_NEAR(dot(forward, w.inward()), 2 * 25.4, 0.01) << wall;
    }
}

TEST(StepOnATop, GoesStraightToAThingOfTheRoom) {
    for (const char* wall : {"A", "B", "C", "D"}) {
        const auto job = jobWith({fmt::format("console 54 x 14 x 32 against wall {0}, centred on "
                                              "wall {0}",
                                              wall),
                                  "vase on console, centred on console"});
        for (const char* to : {"A", "B", "C", "D"}) {
            if (*to == *wall)
                continue;
            const Wall& t = job.room->walls[static_cast<std::size_t>(to[0] - 'A')];
            const Vec2 step =
                inPlan(after(job, fmt::format("move vase 2 toward wall {}", to)), "Vase") -
                inPlan(job, "Vase");
            EXPECT_NEAR(dot(step, -t.inward()), 2 * 25.4, 0.01) << wall << " toward " << to;
            EXPECT_NEAR(norm(step), 2 * 25.4, 0.01) << wall << " toward " << to;
        }
    }
}
