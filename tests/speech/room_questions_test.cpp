// What is asked of the room itself, against areas by the corners and lengths by a tape; and two
// that are spoken of.
#include "jobs.h"
#include "room/facts.h"
#include "speech/speech.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::string answerOrFault(const Project& job, const std::string& question) {
    const auto said = readSpoken(question, job, listening(0));
    if (!said)
        return "refused: " + said.problem().what;
    return said->is == Spoken::Is::answer ? said->answer.words : "no answer";
}

/// An L: 16 by 12 feet, with 6 by 5 out of it.
constexpr const char* roomOfAnL =
    "room Ell\nceiling 8'\nwall A 16'\n window 3' from left, 4' wide, 4' high, "
    "sill 30\nwall B 7'\nwall C 6'\ncorner out\nwall D 5'\nwall E 10'\nwall F 12'\n door 2' from "
    "left, 30 "
    "wide, 80 high\n";

} // namespace

TEST(RoomQuestions, TellTheAreaByTheCorners) {
    const auto job = jobWith({}, roomOfAnL);
    // The shoelace formula, of the corners as taped.
    double twice = 0;
    const auto& walls = job.room->walls;
    for (const Wall& w : walls)
        twice += cross(w.start, w.end);
    const double feet = std::abs(twice) / 2 / 304.8 / 304.8;
    EXPECT_NEAR(feet, 16 * 12 - 6 * 5, 0.5);
    const auto said = writeArea(std::abs(twice) / 2, job.notation.units);
    for (const char* q : {"what is the area of the room?", "how many square feet is the floor?",
                          "what's the floor area?", "how many sq ft is the room?"})
        EXPECT_NE(answerOrFault(job, q).find(said), std::string::npos)
            << q << ": " << answerOrFault(job, q);
    EXPECT_NE(answerOrFault(job, "how big is the room?").find(said), std::string::npos);
    // A wall less its window, of a flat room.
    const double wallA = (16 * 8 - 4 * 4) * 304.8 * 304.8;
    EXPECT_NE(answerOrFault(job, "what is the area of wall A?")
                  .find(writeArea(wallA, job.notation.units)),
              std::string::npos)
        << answerOrFault(job, "what is the area of wall A?");
    double sum = 0;
    for (int w = 0; w < static_cast<int>(walls.size()); ++w)
        sum += netAreaOf(*job.room, w);
    EXPECT_NE(answerOrFault(job, "what is the area of the walls?")
                  .find(writeArea(sum, job.notation.units)),
              std::string::npos);
}

TEST(RoomQuestions, TellTheLongestWallAndHowManyThereAre) {
    const auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall F", "stool at 4', 4'", "stool called Perch at 6', 4'"},
        roomOfAnL);
    EXPECT_NE(answerOrFault(job, "which wall is longest?").find("Wall A"), std::string::npos);
    EXPECT_NE(answerOrFault(job, "what is the shortest wall?").find("Wall D"), std::string::npos);
    EXPECT_EQ(answerOrFault(job, "how many windows are there?"), "1: window 1 on wall A");
    EXPECT_EQ(answerOrFault(job, "how many doors does the room have?"), "1: door 1 on wall F");
    EXPECT_EQ(answerOrFault(job, "how many walls are there?"), "6 walls");
    EXPECT_EQ(answerOrFault(job, "how many stools are there?"), "2: Stool and Perch");
    EXPECT_EQ(answerOrFault(job, "how many beds have I got?").rfind("There are none", 0), 0U);
    EXPECT_NE(answerOrFault(job, "how high is the sill?").find("2' 6\""), std::string::npos);
}

TEST(RoomQuestions, TellTheWayAndWhatIsAssumedOfIt) {
    const auto job = [](double inches) {
        const double deep = 72 - inches / 2;
        return jobWith(
            {fmt::format("trunk 20 x {0} x 30 called Upper at 120in, {1}in", deep, deep / 2),
             fmt::format("trunk 20 x {0} x 30 called Southern at 120in, {1}in", deep,
                         144 - deep / 2)},
            "ceiling 8'\nwall A 20'\nwall B 12'\n door 4' 6\" from left, 36 wide, hinge left, "
            "swings "
            "out\nwall C 20'\nwall D 12'\n door 4' 6\" from left, 36 wide, hinge left, swings "
            "out\n");
    };
    const char* question = "is there a way from door 1 to door 2?";
    EXPECT_EQ(answerOrFault(job(40), question).rfind("Yes, from door 1 to door 2", 0), 0U);
    EXPECT_NE(answerOrFault(job(20), question).find("20\" at its narrowest"), std::string::npos)
        << answerOrFault(job(20), question);
    const auto narrow = answerOrFault(job(8), question);
    EXPECT_EQ(narrow.rfind("No, ", 0), 0U) << narrow;
    EXPECT_NE(narrow.find("(assumed)"), std::string::npos) << narrow;
    EXPECT_NE(answerOrFault(job(0), question).find("it is shut"), std::string::npos);
    EXPECT_EQ(answerOrFault(job(40), "is there a way from door 1?").rfind("refused", 0), 0U);
}

TEST(TwoOfThem, ComeCloserByWhatIsSaid) {
    const auto job =
        jobWith({"armchair 30 x 33 at 4', 6'", "armchair 30 x 33 called Other at 9', 6'"});
    const auto apart = [](const Project& j) {
        const auto scene = *sceneOf(j);
        const auto at = [&](const char* name) {
            return scene->fromAbove(j.scheme().byName(name)->id)->pose.at;
        };
        return norm(at("Armchair") - at("Other"));
    };
    const double before = apart(job);
    for (const auto& [line, by] :
         {std::pair{"move the armchair and other 10 closer together", -10.0},
          std::pair{"armchair and other 6 further apart", 6.0},
          std::pair{"move armchair and other closer together by 1 1/2", -1.5}}) {
        const auto said = readSpoken(line, job, listening(0));
        ASSERT_TRUE(said) << line << ": " << said.problem().what;
        const auto now = apply(job, said->said.edit);
        ASSERT_TRUE(now) << line;
        EXPECT_NEAR(apart(*now->project) - before, by * 25.4, 0.01) << line;
    }
}
