// Lights round a circle: where they are by hand, and that they go with what is under them.
#include "jobs.h"

#include <cmath>
#include <numbers>

using namespace mezzet;
using namespace mezzet::test;

TEST(LightRing, IsEvenAndGoesWithItsTable) {
    auto job = jobWith({"round table 54 called supper table at 10', 8', turned 30",
                        "ring of 6 recessed lights 48 across over supper table"});
    const auto places = [&] {
        std::vector<Vec2> out;
        const auto scene = *sceneOf(job);
        for (const Piece& p : scene->scheme->pieces)
            if (p.on.isCeiling())
                out.push_back(scene->byId(p.id)->pose.at);
        return out;
    };
    auto at = places();
    ASSERT_EQ(at.size(), 6U);
    const Vec2 middle{10 * 304.8, 8 * 304.8};
    for (std::size_t i = 0; i < 6; ++i) {
        EXPECT_NEAR(norm(at[i] - middle), 24 * 25.4, 0.01);
        // The sides of a hexagon are its radius.
        EXPECT_NEAR(norm(at[i] - at[(i + 1) % 6]), 24 * 25.4, 0.01);
    }
    const auto said = readLine("supper table at 8', 9'", job);
    ASSERT_TRUE(said);
    job = *apply(job, said->edit)->project;
    at = places();
    const Vec2 there{8 * 304.8, 9 * 304.8};
    for (const Vec2 p : at)
        EXPECT_NEAR(norm(p - there), 24 * 25.4, 0.01);
}

TEST(LightRing, IsAboutAPlaceOrTheRoomAndRefusedElsewhere) {
    const auto job = jobWith({"ring of 4 pendants 40 across at 12', 7'"});
    EXPECT_EQ(job.scheme().pieces.size(), 4U);
    for (const char* line :
         {"ring of 2 pendants 40 across", "ring of 6 sofas 40 across", "ring of 6 pendants",
          "ring of 6 pendants 1 across", "ring of 6 pendants 300 across",
          "ring of 6 pendants 40 across over nothing"})
        EXPECT_NE(refusal(job, line).what, "") << line;
}
