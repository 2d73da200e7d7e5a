// How large, how high and how far off things should be: against the trade's bands worked by hand,
// for things that are there and for those that are not yet. And what is asked of chairs at their
// tables.
#include "jobs.h"
#include "room/facts.h"
#include "speech/speech.h"

#include <fmt/format.h>

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::string answerTold(const Project& job, const std::string& question) {
    const auto said = readSpoken(question, job, listening(0));
    if (!said)
        return "refused: " + said.problem().what;
    return said->is == Spoken::Is::answer ? said->answer.words : "no answer";
}
bool mentionsIt(const std::string& text, const std::string& words) {
    return text.find(words) != std::string::npos;
}

} // namespace

TEST(Sizing, ACoffeeTableIsTwoThirdsOfItsSofaAndLevelWithItsCushion) { // 0.60 to 0.75; within 2
    for (const double wide : {72.0, 84.0, 96.0}) {
        const auto job = jobWith({fmt::format("sofa {} x 36 x 34 against wall A, seat 17", wide)});
        const auto words = answerTold(job, "how big should the coffee table be?");
        EXPECT_TRUE(mentionsIt(words, writeGap(Length::inches(wide * 0.75), job.notation)))
            << words;
        EXPECT_TRUE(mentionsIt(words, "15\" to 19\" up")) << words;
        EXPECT_TRUE(mentionsIt(words, "12\" to 18\" before it")) << words;
    }
    EXPECT_TRUE(
        mentionsIt(answerTold(jobWith({}), "how big should a coffee table be?"), "of the sofa's"));
}

TEST(Sizing, AScreenFillsThirtyDegrees) { // SMPTE EG 18-1994, from memory
    const auto job = jobWith({"sofa 84 x 36 x 34 at 10', 10', facing wall A",
                              "media console 72 x 18 x 24 against wall A, centred on wall A"});
    const auto words = answerTold(job, "what size tv should I get?");
    EXPECT_TRUE(mentionsIt(words, "fills 30")) << words;
    const auto scene = *sceneOf(job);
    const double away = norm(scene->inPlan(1)->pose.at - scene->inPlan(2)->pose.at);
    const double wide = 2 * away * std::tan(15 * std::acos(-1.0) / 180);
    EXPECT_TRUE(mentionsIt(words, writeGap(Length::millimetres(wide), job.notation))) << words;
    EXPECT_TRUE(mentionsIt(words, writeGap(Length::inches(72 * 0.75), job.notation))) << words;
    // A 57 inch wide one: 57 times 1.866.
    const auto other = jobWith({"wall screen 57 x 33 on wall A"});
    const auto far = answerTold(other, "how far should the sofa be from the wall screen?");
    EXPECT_TRUE(
        mentionsIt(far, writeGap(Length::inches(57 / (2 * std::tan(15 * std::acos(-1.0) / 180))),
                                 other.notation)))
        << far;
}

TEST(Sizing, ALightOverATableGoesByItsShorterSide) { // half to two thirds; 30 to 36 over its top
    const auto job = jobWith({"dining table 72 x 40 x 30 in the middle of the room"});
    const auto words = answerTold(job, "what size chandelier should I get?");
    EXPECT_TRUE(mentionsIt(words, "20\"")) << words;
    EXPECT_TRUE(mentionsIt(words, writeGap(Length::inches(40 * 0.67), job.notation))) << words;
    EXPECT_TRUE(mentionsIt(words, "30\" to 36\" over the top of Dining table")) << words;
    EXPECT_TRUE(mentionsIt(answerTold(job, "how high should a pendant hang?"), "30\" to 36\""));
    // In an empty room of 20 by 15 feet: 35 inches across, length and width in feet.
    EXPECT_TRUE(mentionsIt(answerTold(jobWith({}), "what size chandelier?"), "about 35\" across"))
        << answerTold(jobWith({}), "what size chandelier?");
}

TEST(Sizing, CurtainsGoByTheirWindows) {
    const auto job = jobWith({});
    const auto words = answerTold(job, "how long should the curtains be?");
    EXPECT_TRUE(mentionsIt(words, "4\" to 6\" over the window")) << words;
    for (const Opening& o : job.room->openings)
        if (o.kind == OpeningKind::window && o.number <= 3) {
            EXPECT_TRUE(mentionsIt(
                words, fmt::format("{}: the pole {} to {} up", o.name(),
                                   writeGap(o.head() + Length::inches(4), job.notation),
                                   writeGap(o.head() + Length::inches(6), job.notation))))
                << words;
        }
    for (const char* same : {"how wide should curtains be?", "what length curtains?",
                             "what height should the curtain pole be?"})
        EXPECT_EQ(answerTold(job, same), words) << same;
}

TEST(Sizing, ATableForSoManyHasTheEdgeTheyNeed) { // 24 each
    const auto words = answerTold(jobWith({}), "how big a dining table for 8?");
    EXPECT_TRUE(mentionsIt(words, "For 8: 96\" long, 72\" with one at each end")) << words;
    const auto job = jobWith({});
    EXPECT_TRUE(mentionsIt(words, writeGap(Length::inches(8 * 24 / std::acos(-1.0)), job.notation)))
        << words;
}

TEST(Sizing, TellsWaysAndRoomByTheirRules) {
    const auto job = jobWith({});
    EXPECT_TRUE(mentionsIt(answerTold(job, "how wide should a walkway be?"), "36\" or more"));
    EXPECT_TRUE(mentionsIt(answerTold(job, "how much room do I need behind a chair?"), "36\""));
    EXPECT_TRUE(mentionsIt(answerTold(job, "how far should a sofa be from a coffee table?"),
                           "12\" to 18\""));
    EXPECT_TRUE(
        mentionsIt(answerTold(job, "how far apart should pictures hang?"), "1 1/2\" to 2 1/2\""));
    EXPECT_TRUE(
        mentionsIt(answerTold(job, "how far should a rug be from the wall?"), "8\" to 18\""));
    // And no figure of inches in a metric job.
    auto metric = jobWith({}, "room M\nunits cm\nceiling 250\nwall A 500\nwall B 400\nwall C 500\n"
                              "wall D 400\n");
    for (const char* q :
         {"how wide should a walkway be?", "how much room do I need behind a chair?",
          "how far should a sofa be from a coffee table?", "how far apart should pictures hang?",
          "what size chandelier?", "how big should a coffee table be?", "what size tv?"}) {
        const auto words = answerTold(metric, q);
        EXPECT_TRUE(mentionsIt(words, " cm") || mentionsIt(words, " m ")) << q << ": " << words;
        EXPECT_FALSE(mentionsIt(words, "\"")) << q << ": " << words;
    }
    EXPECT_TRUE(mentionsIt(answerTold(metric, "how far should a sofa be from a coffee table?"),
                           "30 cm to 45 cm"));
}

TEST(Chairs, AreToldTheRoomBehindThem) {
    // The table's edge 30 from wall A; the others have more.
    const auto job = jobWith({"dining table 60 x 36 x 30, 30 from wall A, centred on wall A",
                              "seat dining table with 4"});
    const auto words = answerTold(job, "how much room is there behind the chairs?");
    EXPECT_TRUE(mentionsIt(words, "30\" from the table's edge to wall A")) << words;
    EXPECT_TRUE(mentionsIt(words, "the least of 4")) << words;
    EXPECT_EQ(answerTold(job, "can the chairs pull out?"), words);
    EXPECT_TRUE(
        mentionsIt(answerTold(jobWith({}), "how much room is behind the chairs?"), "No chair"));
}

TEST(Mending, TellsTheLineThatMendsIt) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A, centred on wall A",
                              "coffee table 48 x 24 x 17, 4 in front of sofa, centred on sofa"});
    const auto words = answerTold(job, "how do I fix the coffee table?");
    const auto at = words.find("; say: ");
    ASSERT_NE(at, std::string::npos) << words;
    // What it says can be said, and is wrong no more.
    auto line = words.substr(at + 7);
    line = line.substr(0, line.find(". "));
    const auto said = readSpoken(line, job, listening(0));
    ASSERT_TRUE(said) << line;
    const auto now = apply(job, said->said.edit);
    ASSERT_TRUE(now);
    EXPECT_FALSE(
        mentionsIt(answerTold(*now->project, "what is wrong with the coffee table?"), "knees"))
        << line;
    EXPECT_TRUE(mentionsIt(answerTold(jobWith({}), "how do I fix it?"), "Nothing is to mend"));
}

TEST(FreeFloor, IsWhatFurnitureLeaves) {
    const auto job = jobWith({"sideboard 80 x 36 x 34 against wall A", "rug 8 x 10"});
    const auto words = answerTold(job, "how much floor is free?");
    const double taken = Length::inches(80).mm() * Length::inches(36).mm();
    EXPECT_TRUE(mentionsIt(words, writeArea(taken, job.notation.units))) << words;
    const double floor = Length::feet(20).mm() * Length::feet(15).mm();
    EXPECT_TRUE(mentionsIt(words, writeArea(floor - taken, job.notation.units))) << words;
    EXPECT_EQ(answerTold(job, "is this room too crowded?"), words);
}
