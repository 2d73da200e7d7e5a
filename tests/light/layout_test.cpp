// Layouts of lights by hand-worked rooms.
#include "judge/lux.h"
#include "light/layout.h"

#include "jobs.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::vector<LightLayout> even(const Project& job, const EvenAsk& ask = {}) {
    auto out = evenLayouts(job, **sceneOf(job), ask);
    if (!out)
        throw std::runtime_error(out.problem().text());
    return *out;
}

std::vector<double> columnsOf(const LightLayout& l) {
    std::vector<double> xs;
    for (const LaidLight& one : l.lights)
        xs.push_back(one.at.x / 25.4);
    std::sort(xs.begin(), xs.end());
    xs.erase(std::unique(xs.begin(), xs.end(), [](double a, double b) { return b - a < 0.01; }),
             xs.end());
    return xs;
}

} // namespace

// 20 by 15 ft: 300 sq ft at 20 to 25 each are 12 to 15; four by three are 12, corners first 36 from
// the walls, the rest even: 36, 92, 148, 204 by 36, 90, 144.
TEST(EvenLayout, CornersFirstThenEvenlyBetween) {
    const auto job = jobWith({});
    const auto all = even(job);
    ASSERT_GE(all.size(), 2U);
    const LightLayout& l = all.front();
    EXPECT_EQ(l.columns, 4);
    EXPECT_EQ(l.rows, 3);
    ASSERT_EQ(l.lights.size(), 12U);
    const auto xs = columnsOf(l);
    ASSERT_EQ(xs.size(), 4U);
    EXPECT_NEAR(xs[0], 36, 0.01);
    EXPECT_NEAR(xs[1], 92, 0.01);
    EXPECT_NEAR(xs[3], 204, 0.01);
    EXPECT_NEAR(l.lights.front().at.y / 25.4, 36, 0.01);
    EXPECT_NEAR(l.lights.back().at.y / 25.4, 144, 0.01);
    EXPECT_NEAR(l.floorEach / (304.8 * 304.8), 25, 1e-6);
    for (std::size_t i = 1; i < all.size(); ++i)
        EXPECT_NE(all[i].lights.size(), l.lights.size());
}

TEST(EvenLayout, TheFirstLineIsOverTheFrontOfACounter) {
    const auto job = jobWith({"kitchen counter 120 x 25 x 36 against wall A, centred on wall A"});
    const auto all = even(job);
    double least = 1e9;
    for (const LaidLight& one : all.front().lights)
        least = std::min(least, one.at.y / 25.4);
    EXPECT_NEAR(least, 25, 0.01);
}

TEST(EvenLayout, JoistsAreClearedByTheLeastShiftThatKeepsItEven) {
    std::string notes = plainNotes();
    // Rows along wall A at 36, 90, 144 from it: a joist at 36 is in the way of the first.
    notes.insert(notes.find("wall A"), "joists 16 apart, first 4 from wall A\n");
    const auto job = jobWith({}, notes.c_str());
    const auto all = even(job);
    const LightLayout& l = all.front();
    std::vector<double> ys;
    for (const LaidLight& one : l.lights)
        if (ys.empty() || std::abs(one.at.y / 25.4 - ys.back()) > 0.01)
            ys.push_back(one.at.y / 25.4);
    for (const double y : ys) {
        const double off = std::fmod(std::abs(y - 4), 16);
        EXPECT_GE(std::min(off, 16 - off), 3 + 0.75 - 1e-6) << y;
    }
    ASSERT_EQ(ys.size(), 3U);
    EXPECT_NEAR(ys[1] - ys[0], ys[2] - ys[1], 0.01);
    EXPECT_GE(ys[0], 30 - 0.01);
    EXPECT_LE(ys[0], 42 + 0.01);
}

TEST(EvenLayout, AnLShapedRoomHasNoLightOutside) {
    const auto job =
        jobWith({}, "room Ell\nceiling 8'\nwall A 20'\nwall B 9'\nwall C 8'\ncorner out\n"
                    "wall D 6'\nwall E 12'\nwall F 15'\n");
    for (const LightLayout& l : even(job))
        for (const LaidLight& one : l.lights)
            EXPECT_TRUE(job.room->holds(one.at));
}

TEST(EvenLayout, SaidItHangsThemAndSaidAgainItReplacesThem) {
    auto job = jobWith({"light this room evenly"});
    const auto count = [&] {
        return std::count_if(job.scheme().pieces.begin(), job.scheme().pieces.end(),
                             [](const Piece& p) { return p.kind->id == "recessed-light"; });
    };
    EXPECT_EQ(count(), 12);
    const auto readings = readingsOf(job);
    for (const Reading& r : readings)
        if (r.rule->id == "recessed-edge" || r.rule->id == "recessed-count")
            EXPECT_EQ(r.verdict, Verdict::right) << r.rule->id;
    const auto said = readLine("light this room evenly another way", job);
    ASSERT_TRUE(said) << said.problem().text();
    job = *apply(job, said->edit)->project;
    EXPECT_NE(count(), 12);
    EXPECT_NE(said->preview.find("in place of the 12 there"), std::string::npos) << said->preview;
}

TEST(TaskLayout, LightsHandsAndPictures) {
    const auto job = jobWith({"kitchen counter 72 x 25 x 36 against wall A, centred on wall A",
                              "picture 30 x 24 on wall C, at 15', 60", "light the tasks"});
    const auto readings = readingsOf(job);
    const auto* task = find(readings, job, "recessed-task", "Kitchen counter");
    ASSERT_NE(task, nullptr);
    EXPECT_EQ(task->verdict, Verdict::right);
    const Piece* tilting = job.scheme().byName("Tilting light");
    ASSERT_NE(tilting, nullptr);
    ASSERT_TRUE(tilting->light && tilting->light->aim);
    // 0.577 of the 36 in from the picture's middle to the ceiling: 20.8 off the wall.
    const double off = 180 - tilting->pose.at.y / 25.4;
    EXPECT_NEAR(off, 36 * 0.57735, 1.0);
}

TEST(LuxReadings, AreNotesOfWhatIsDone) {
    const auto job = jobWith({"recessed light at 10', 4'", "desk at 10', 4'"});
    const auto all = luxReadings(job, **sceneOf(job));
    ASSERT_EQ(all.size(), 1U);
    EXPECT_EQ(all.front().verdict, Verdict::note);
    EXPECT_EQ(*all.front().band.low, 500);
    // Near what is found surface by surface.
    LitRoom lit(job, **sceneOf(job));
    ASSERT_TRUE(lit.pass());
    const auto task = tasksOf(job, **sceneOf(job)).front();
    const double whole = lit.at(task.at, task.facing).all();
    EXPECT_NEAR(all.front().value.value, whole, whole * 0.15);
    EXPECT_TRUE(
        luxReadings(jobWith({"desk at 10', 4'"}), **sceneOf(jobWith({"desk at 10', 4'"}))).empty());
}
