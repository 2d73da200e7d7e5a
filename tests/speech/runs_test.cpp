// What runs through a room, and what the program takes for usual: places worked by hand, and that a
// figure is the rule book's, not the code's.
#include "edit/landing.h"
#include "speech/speech.h"

#include "jobs.h"

#include <algorithm>
#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

// 600 x 300; ways in at the middles of the short walls.
const char* hallNotes() {
    return "room Hall\nunits cm\nceiling 250\nwall A 600\nwall B 300\n door 105 from left, 90 "
           "wide, 204 high, hinge left, swings out, to Garden\nwall C 600\nwall D 300\n opening "
           "105 from left, 90 wide, 204 high, to Kitchen\n";
}
Project madeBy(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    return said ? *apply(job, said->said.edit)->project : job;
}
/// The job with another length for one of the book's habits.
Project withHabit(Project job, std::string_view id, double mm) {
    auto book = std::make_shared<RuleBook>(*job.library.book);
    const auto it = std::find_if(book->habits.begin(), book->habits.end(),
                                 [&](const Habit& h) { return h.id == id; });
    EXPECT_NE(it, book->habits.end()) << id;
    it->length = Length::millimetres(mm);
    it->metric = Length::millimetres(mm);
    job.library.book = book;
    return job;
}

} // namespace

TEST(LightsEvery, AreAsManyAsThereIsRoomFor) {
    const auto job = jobWith({}, hallNotes());
    const auto lit = madeBy(job, "a light every 120 along the hall");
    std::vector<Vec2> at;
    for (const Piece& p : lit.scheme().pieces)
        at.push_back(poseOf(lit, p.name.c_str()).at);
    ASSERT_EQ(at.size(), 5U);
    std::sort(at.begin(), at.end(), [](Vec2 a, Vec2 b) { return a.x < b.x; });
    for (std::size_t i = 0; i < at.size(); ++i) {
        EXPECT_NEAR(at[i].y, 1500, 0.01);
        EXPECT_NEAR(at[i].x, 600 + 1200.0 * static_cast<double>(i), 0.01);
    }
    // Where one is as far as the room is long, one.
    EXPECT_EQ(madeBy(job, "spots in the ceiling every 5 m").scheme().pieces.size(), 1U);
}

TEST(RunnerFromTo, EndsAHabitShortOfEach) {
    const auto job = jobWith({}, hallNotes());
    const auto ran = madeBy(job, "runner 80 wide from the garden to the kitchen");
    const Piece& runner = ran.scheme().pieces.front();
    EXPECT_EQ(std::max(runner.size.width, runner.size.depth).mm(), 5800);
    EXPECT_EQ(std::min(runner.size.width, runner.size.depth).mm(), 800);
    EXPECT_NEAR(poseOf(ran, runner.name.c_str()).at.x, 3000, 0.01);
    EXPECT_NEAR(poseOf(ran, runner.name.c_str()).at.y, 1500, 0.01);
    const auto shorter = madeBy(withHabit(job, "runner-short", 400),
                                "runner 80 wide from the garden to the kitchen");
    const Piece& other = shorter.scheme().pieces.front();
    EXPECT_EQ(std::max(other.size.width, other.size.depth).mm(), 5200);
}

TEST(Habits, HowNearIsNearIsTheBooks) {
    const auto job = jobWith({"armchair 80 x 80 at 300, 150"}, hallNotes());
    const auto answer = [](const Project& of) {
        const auto said = readSpoken("what's next to the garden door?", of, {});
        return said && said->is == Spoken::Is::answer ? said->answer.words : std::string();
    };
    // Its edge is 260 from the door's wall.
    EXPECT_EQ(answer(job).find("Armchair"), std::string::npos) << answer(job);
    EXPECT_NE(answer(withHabit(job, "near", 2700)).find("Armchair"), std::string::npos);
    EXPECT_EQ(answer(withHabit(job, "near", 2500)).find("Armchair"), std::string::npos);
}

TEST(SeatingArea, GoesAsOneWithWhatStandsBetween) {
    const auto job = jobWith(
        {"sofa 84 x 36 on wall C", "coffee table 48 x 24 16 in front of sofa", "desk on wall A"});
    const auto moved = madeBy(job, "move the seating area 6 toward wall A");
    for (const char* name : {"Sofa", "Coffee table"})
        EXPECT_NEAR(poseOf(moved, name).at.y, poseOf(job, name).at.y - 6 * 25.4, 0.01) << name;
    EXPECT_NEAR(poseOf(moved, "Desk").at.y, poseOf(job, "Desk").at.y, 1e-9);
}
