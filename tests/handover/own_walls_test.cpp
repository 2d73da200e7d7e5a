// A wall of its own colour: said, kept with the job, painted from its own tin.
#include "handover/materials.h"
#include "jobs.h"
#include "room/facts.h"
#include "things/picture_answers.h"

#include <numeric>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::optional<Rgb> own(const Project& job, int wall) {
    const auto& all = job.scheme().dressing.ownWalls;
    const auto it = all.find(wall);
    return it != all.end() ? std::optional(it->second) : std::nullopt;
}

} // namespace

TEST(OwnWalls, AreSaidKeptAndTakenBack) {
    const auto job = jobWith({"colour walls white", "colour wall B navy"});
    ASSERT_TRUE(own(job, 1));
    EXPECT_NE(*own(job, 1), *job.scheme().dressing.walls);
    EXPECT_EQ(job.scheme().dressing.colourOf(1), own(job, 1));
    EXPECT_EQ(job.scheme().dressing.colourOf(0), job.scheme().dressing.walls);
    const auto back = readJob(jobText(job), "a.mezzet", library());
    ASSERT_TRUE(back);
    EXPECT_EQ((*back)->scheme().dressing, job.scheme().dressing);
    // All walls said together leaves none of its own.
    EXPECT_TRUE(
        jobWith({"colour wall B navy", "colour walls white"}).scheme().dressing.ownWalls.empty());
    EXPECT_FALSE(own(jobWith({"colour walls A and C sage", "colour wall A as the others"}), 0));
    EXPECT_TRUE(own(jobWith({"colour walls A and C sage", "colour wall A as the others"}), 2));
    EXPECT_FALSE(refusal(job, "colour wall B").what.empty());
    EXPECT_FALSE(refusal(job, "colour wall Z navy").what.empty());
}

TEST(OwnWalls, ArePaintedFromTheirOwnTinAndTheRestFromTheOther) {
    const auto job = jobWith({"colour walls white", "colour wall B navy"});
    const auto plain = jobWith({"colour walls white"});
    const auto named = [](const std::vector<Material>& all, const std::string& name) {
        const auto it =
            std::find_if(all.begin(), all.end(), [&](const Material& m) { return m.name == name; });
        return it != all.end() ? it->note : std::string();
    };
    const auto all = materialsOf(job, 0);
    const auto units = job.notation.units;
    const double whole = factsOf(*job.room).netWallArea();
    const double one = netAreaOf(*job.room, 1);
    // The areas of all walls are that of the walls together.
    double sum = 0;
    for (int w = 0; w < static_cast<int>(job.room->walls.size()); ++w)
        sum += netAreaOf(*job.room, w);
    EXPECT_NEAR(sum, whole, 1);
    EXPECT_NE(named(all, "Paint for wall B").find(writeArea(one, units)), std::string::npos);
    EXPECT_NE(named(all, "Wall paint").find(writeArea(whole - one, units)), std::string::npos);
    EXPECT_NE(named(materialsOf(plain, 0), "Wall paint").find(writeArea(whole, units)),
              std::string::npos);
    // Pictures answer it as a colour of the room.
    const auto colours = roomColours(**sceneOf(job));
    EXPECT_EQ(std::count_if(colours.begin(), colours.end(),
                            [&](const RoomColour& c) { return c.colour == *own(job, 1); }),
              1);
}
