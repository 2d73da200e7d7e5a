// Curtains by what they reach over. The room's window is 60 wide from 90 to 150 in wall A, its head
// at 80 under a ceiling of 96; by common practice a rod is 6 over a window and 12 past it on each
// side, and curtains end half an inch off the floor.
#include "spoken_to.h"

#include <algorithm>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// What hangs, from its left to its right end and from its foot to its top, inches.
struct Hung {
    double left = 0;
    double right = 0;
    double foot = 0;
    double top = 0;
};
Hung hungIn(const Project& job, std::size_t i) {
    const Piece& p = job.scheme().pieces.at(i);
    const Vec2 at = poseOf(job, p.name.c_str()).at / 25.4;
    const double half = p.size.width.inInches() / 2;
    const double high = p.size.height.inInches() / 2;
    return {at.x - half, at.x + half, at.y - high, at.y + high};
}
void expectHung(const Hung& h, double left, double right, double top, const std::string& line) {
    EXPECT_NEAR(h.left, left, 0.01) << line;
    EXPECT_NEAR(h.right, right, 0.01) << line;
    EXPECT_NEAR(h.foot, 0.5, 0.01) << line;
    EXPECT_NEAR(h.top, top, 0.01) << line;
}
const char* twoWindows() {
    return "room Two\nceiling 8'\nwall A 20'\n window 3' from left, 4' wide, 4' high, sill 32\n "
           "window 13' from left, 4' wide, 4' high, sill 32\nwall B 15'\nwall C 20'\nwall D 15'\n";
}

} // namespace

TEST(CurtainsSaid, SoFarPastTheWindow) {
    for (const char* line :
         {"curtains to the floor, 20 past the window each side",
          "curtains at the window, 20 past each side", "curtain pole 20 past each side",
          "drapes 20 beyond the window on both sides"})
        expectHung(hungIn(afterSaying(jobWith({}), line), 0), 90 - 20, 150 + 20, 86, line);
}

TEST(CurtainsSaid, SoFarOverTheWindow) {
    for (const char* line : {"curtains 8 above the window, to the floor", "drapes 8 over window 1"})
        expectHung(hungIn(afterSaying(jobWith({}), line), 0), 90 - 12, 150 + 12, 88, line);
}

TEST(CurtainsSaid, ThoseThatHangAreMeant) {
    const auto job = jobWith({"curtains on window 1"});
    const auto wider = afterSaying(job, "curtains 24 past the window each side");
    ASSERT_EQ(wider.scheme().pieces.size(), 1U);
    EXPECT_NEAR(hungIn(wider, 0).right - hungIn(wider, 0).left, 60 + 48, 0.01);
    const auto higher = afterSaying(job, "drapes 10 above the window");
    ASSERT_EQ(higher.scheme().pieces.size(), 1U);
}

TEST(CurtainsSaid, FromTheCeiling) {
    for (const char* line : {"curtains from the ceiling to the floor", "floor to ceiling curtains",
                             "curtains to the ceiling"})
        expectHung(hungIn(afterSaying(jobWith({}), line), 0), 90 - 12, 150 + 12, 96, line);
}

TEST(CurtainsSaid, OnePairAcrossBothWindows) {
    const auto job = jobWith({}, twoWindows());
    const auto one = afterSaying(job, "one curtain rod across both windows");
    ASSERT_EQ(one.scheme().pieces.size(), 1U);
    // From 12 past the first, at 36, to 12 past the last, which ends at 204.
    expectHung(hungIn(one, 0), 24, 216, 86, "across");
    // A pair at each is two.
    EXPECT_EQ(afterSaying(job, "curtains on both windows").scheme().pieces.size(), 2U);
}

TEST(CurtainsSaid, WallToWall) {
    for (const char* line : {"curtain rail from wall to wall", "wall to wall curtains",
                             "curtains wall to wall on wall A"})
        expectHung(hungIn(afterSaying(jobWith({}), line), 0), 0, 240, 86, line);
    // A wall without windows has none.
    EXPECT_FALSE(readSpoken("curtains wall to wall on wall B", jobWith({}), {}));
}

TEST(CurtainsSaid, NeverReachOverTheCeiling) {
    const char* low = "room Low\nceiling 7'\nwall A 20'\n window 7' 6\" from left, 5' wide, 4' 2\" "
                      "high, sill 32\nwall B 15'\nwall C 20'\nwall D 15'\n";
    // The head is at 82 under 84: an inch under the ceiling is as high as a rod goes.
    for (const char* line : {"curtains 20 past the window each side", "wall to wall curtains",
                             "one curtain rod across all windows"})
        if (const auto job = afterSaying(jobWith({}, low), line); !job.scheme().pieces.empty())
            EXPECT_LE(hungIn(job, 0).top, 83.01) << line;
}
