// Questions, what can be said instead of a line that is refused, and what is asked about first.
#include "jobs.h"
#include "speech/speech.h"

#include <gtest/gtest.h>

#include <algorithm>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project furnished() {
    return jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                    "coffee table 48 x 24 x 17, 16 in front of sofa, centred on sofa",
                    "picture 24 x 18 called Mill, above sofa"});
}

std::string answer(const Project& job, const std::string& question, Listener to = {}) {
    const auto spoken = readSpoken(question, job, to);
    EXPECT_TRUE(spoken) << question << ": " << spoken.problem().text();
    if (!spoken)
        return {};
    EXPECT_EQ(spoken->is, Spoken::Is::answer) << question;
    return spoken->answer.words;
}

bool has(const std::string& whole, const std::string& part) {
    return whole.find(part) != std::string::npos;
}

} // namespace

TEST(Questions, OfDistanceAreMeasuredAtTheNearest) {
    const auto job = furnished();
    // The room is 180 deep: 36 of sofa, a gap of 16 and 24 of table leave 104 to wall A.
    EXPECT_TRUE(has(answer(job, "how far is the coffee table from wall A?"), "104\""));
    EXPECT_TRUE(has(answer(job, "How far is the sofa from the coffee table"), "16\""));
    const auto spoken = readSpoken("how far is the coffee table from wall A?", job, {});
    ASSERT_EQ(spoken->answer.marks.size(), 1U);
    const Mark& m = spoken->answer.marks.front();
    EXPECT_NEAR(norm(m.to - m.from) / 25.4, 104, 1e-6);
    EXPECT_TRUE(m.surface.isFloor());
    EXPECT_EQ(spoken->said.them, (std::vector{job.scheme().byName("Coffee table")->id}));
}

TEST(Questions, AreAnsweredInTheJobsOwnUnit) {
    auto job = furnished();
    job = *apply(job, readLine("units cm", job)->edit)->project;
    const auto words = answer(job, "how far is the sofa from the coffee table?");
    EXPECT_TRUE(has(words, "40.6 cm")) << words; // 16 in
    EXPECT_FALSE(has(words, "\"")) << words;
    EXPECT_TRUE(has(answer(job, "how wide is the sofa?"), "213.4 cm"));
}

TEST(Questions, OfSizeAndPlaceAndHeight) {
    const auto job = furnished();
    EXPECT_TRUE(has(answer(job, "how deep is the sofa?"), "36\" deep"));
    EXPECT_TRUE(has(answer(job, "how big is the room?"), "20' 0\" by 15' 0\""));
    EXPECT_TRUE(has(answer(job, "how long is wall B?"), "15' 0\""));
    EXPECT_TRUE(has(answer(job, "how high is mill?"), "its foot at 39\"")); // 34 and 5
    EXPECT_TRUE(has(answer(job, "where is the sofa?"), "0\" from wall C"));
    EXPECT_TRUE(has(answer(job, "how high should mill hang?"), "4\" to 6\""));
}

TEST(Questions, OfSeatsGoByTheElbowRoomOfTheBook) {
    const auto job = jobWith({"dining table 72 x 38 at 10', 7'"});
    // 24 each: three along each side and one at each end.
    EXPECT_TRUE(has(answer(job, "how many can sit at the dining table?"), "seats 8"));
    EXPECT_TRUE(has(answer(job, "is there room for 12?"), "No"));
    EXPECT_TRUE(has(answer(job, "is there room for six?"), "Yes"));
    EXPECT_TRUE(has(answer(furnished(), "how many seats are there?"), "seats for 3"));
}

TEST(Questions, OfWhatIsWrongAreTheReadingsToMend) {
    const auto job = jobWith({"sofa 84 x 36 against wall C, centred on wall C",
                              "coffee table 48 x 24, 40 in front of sofa, centred on sofa"});
    EXPECT_TRUE(has(answer(job, "what is wrong?"), "40\""));
    EXPECT_TRUE(has(answer(job, "why is this red?",
                           Listener{{job.scheme().byName("Coffee table")->id}, {}, {}}),
                    "40\""));
    const auto asked = readSpoken("why is this red?", job, {});
    ASSERT_FALSE(asked);
    EXPECT_GT(asked.problem().column, 0);
}

TEST(Spoken, AgainSaysTheLineBeforeAndUndoIsAStep) {
    const auto job = furnished();
    EXPECT_EQ(readSpoken("undo", job, {})->is, Spoken::Is::undo);
    EXPECT_EQ(readSpoken("Redo", job, {})->is, Spoken::Is::redo);
    EXPECT_FALSE(readSpoken("again", job, {}));
    const auto again = readSpoken("again", job, Listener{{}, {}, "move coffee table 6 forward"});
    ASSERT_TRUE(again);
    EXPECT_EQ(again->said.preview, readLine("move coffee table 6 forward", job)->preview);
}

TEST(Spoken, NothingGoesThroughAWallOrAboveTheCeilingUnasked) {
    const auto job = furnished();
    for (const char* line : {"armchair at 10', 0'", "console behind the sofa",
                             "picture 30 x 40 on wall A, bottom at 70"}) {
        const auto said = readSpoken(line, job, {});
        ASSERT_FALSE(said) << line << ": " << said->said.preview;
        EXPECT_TRUE(has(said.problem().remedy, "anyway")) << line;
        EXPECT_TRUE(readSpoken(std::string(line) + " anyway", job, {})) << line;
    }
    // What stands in another thing is done, and said.
    const auto over = readSpoken("ottoman at 10', 13'", job, {});
    ASSERT_TRUE(over);
    EXPECT_TRUE(has(over->said.preview, "stands in Sofa")) << over->said.preview;
}

TEST(WaysOn, EachIsALineThatWouldDo) {
    const auto job = furnished();
    for (const char* line : {"moev sofa 6 left", "sofa agianst wall A", "trun the sofa 45",
                             "armchair nextto sofa", "frob", "sofa 6 from"}) {
        const auto ways = waysOn(line, job, {});
        EXPECT_FALSE(ways.empty()) << line;
        EXPECT_LE(ways.size(), 3U);
        for (const auto& way : ways)
            EXPECT_TRUE(readLine(way, job)) << line << ": " << way;
    }
    EXPECT_EQ(waysOn("moev sofa 6 left", job, {}).front(), "move sofa 6 left");
    EXPECT_EQ(waysOn("sofa agianst wall A", job, {}).front(), "sofa against wall A");
    EXPECT_TRUE(waysOn("sofa against wall A", job, {}).empty());
}

TEST(Openings, CanBeSaidAsTheyStand) {
    auto job = furnished();
    for (const bool metric : {false, true}) {
        if (metric)
            job = *apply(job, readLine("units cm", job)->edit)->project;
        for (const char* name : {"", "Sofa", "Mill"}) {
            Listener to;
            if (*name != 0)
                to.them = {job.scheme().byName(name)->id};
            const auto all = openings(job, to);
            EXPECT_GE(all.size(), 3U) << name;
            for (const auto& line : all) {
                EXPECT_TRUE(readSpoken(line, job, to)) << line;
                EXPECT_EQ(has(line, "\""), has(line, "\"") && !metric) << line;
            }
        }
    }
}
