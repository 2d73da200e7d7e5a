// Cases worked out by other means (tests/outside/make_cases.py), kept as data that another
// implementation could run.
#include "files/whole_file.h"
#include "fits/fits.h"
#include "jobs.h"
#include "judge/on_walls.h"

#include <nlohmann/json.hpp>

#include <map>

using namespace mezzet;
using namespace mezzet::test;
using json = nlohmann::json;

namespace {

const json& worked() {
    static const json all = json::parse(
        *readWholeFile(std::filesystem::path(MEZZET_TEST_CASES) / "worked.json", 1 << 24));
    return all.at("cases");
}

template <class Each> int eachOf(const char* kind, Each each) {
    int count = 0;
    for (const json& one : worked())
        if (one.at("kind") == kind) {
            SCOPED_TRACE(one.dump());
            each(one);
            ++count;
        }
    return count;
}

Project jobOf(const json& one) {
    return jobWith(one.at("lines").get<std::vector<std::string>>(),
                   one.at("notes").get_ref<const std::string&>().c_str());
}

} // namespace

TEST(Worked, HooksWhoseDropNobodyMeasured) {
    EXPECT_GE(eachOf("hooks",
                     [](const json& one) {
                         const auto job = jobOf(one);
                         const auto scene = *sceneOf(job);
                         const auto all = hangAll(*scene, hookRules(*job.library.book));
                         ASSERT_EQ(all.size(), 1U);
                         EXPECT_EQ(all[0].dropAssumed, one.at("assumed").get<bool>());
                         const auto& hooks = one.at("hooks");
                         ASSERT_EQ(all[0].hooks.size(), hooks.size());
                         for (std::size_t i = 0; i < hooks.size(); ++i) {
                             EXPECT_NEAR(all[0].hooks[i].along.inInches(),
                                         hooks[i][0].get<double>(), 1e-3);
                             EXPECT_NEAR(all[0].hooks[i].up.inInches(), hooks[i][1].get<double>(),
                                         1e-3);
                         }
                     }),
              60);
}

// The three-moment equations (any textbook of the strength of materials).
TEST(Worked, BracketsCarryTheShelfAndWhatItHolds) {
    EXPECT_GE(eachOf("brackets",
                     [](const json& one) {
                         const auto job = jobOf(one);
                         const auto scene = *sceneOf(job);
                         const auto all = hangAll(*scene, hookRules(*job.library.book));
                         ASSERT_EQ(all.size(), 1U);
                         const auto& rated = one.at("rated_lb");
                         ASSERT_EQ(all[0].hooks.size(), rated.size());
                         for (std::size_t i = 0; i < rated.size(); ++i)
                             EXPECT_NEAR(all[0].hooks[i].rated.lb(), rated[i].get<double>(), 0.01);
                     }),
              40);
}

// The widest path over a half-inch grid; and shut rooms, whatever the order of what shuts them.
TEST(Worked, WaysFromAnywhereAcrossAnOpening) {
    EXPECT_GE(eachOf("way",
                     [](const json& one) {
                         const auto job = jobOf(one);
                         double width = 1e9;
                         for (const auto& w :
                              judgeWhole(**sceneOf(job), *job.library.book, job.judgement).ways)
                             if (w.rule->id == "walkway-main" && !w.inUse)
                                 width = w.width / 25.4;
                         EXPECT_NEAR(width, one.at("width").get<double>(),
                                     one.at("spare").get<double>());
                     }),
              50);
}

TEST(Worked, AShutWayIsReadAndSaid) {
    eachOf("way", [](const json& one) {
        if (one.at("width") != 0)
            return;
        const auto job = jobOf(one);
        bool said = false;
        for (const auto& r : readingsOf(job))
            if (r.rule->id == "walkway-main") {
                EXPECT_NEAR(r.value.value, 0, 1e-6);
                EXPECT_TRUE(r.toMend());
                said = said || whyOf(r, job.wording()).find("no way") != std::string::npos;
            }
        EXPECT_TRUE(said);
    });
}

TEST(Worked, RoomsOutOfSquareCloseByTheirDiagonals) {
    EXPECT_GE(eachOf("closing",
                     [](const json& one) {
                         const auto rooms =
                             roomsFromNotes(one.at("notes").get_ref<const std::string&>(), "");
                         ASSERT_TRUE(rooms);
                         const Room& room = *rooms->front();
                         EXPECT_TRUE(room.closed) << room.closure.words;
                         EXPECT_TRUE(room.fit.suspects.empty()) << room.closure.words;
                         // Sixteenths taped leave about a thousandth of the area open.
                         const double area = one.at("area").get<double>();
                         EXPECT_NEAR(room.floorArea() / (25.4 * 25.4), area, area * 0.002);
                     }),
              30);
}

TEST(Worked, BoxesThroughDoors) {
    EXPECT_GE(
        eachOf(
            "door",
            [](const json& one) {
                const auto job = jobWith({}, one.at("notes").get_ref<const std::string&>().c_str());
                const auto& s = one.at("size");
                const auto in = [&](std::size_t i) { return Length::inches(s[i].get<double>()); };
                EXPECT_EQ(throughDoor(job, job.room->openings[0], Size{in(0), in(1), in(2)}).fits,
                          one.at("fits").get<bool>());
            }),
        30);
}
