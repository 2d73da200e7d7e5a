// "How do I …?" is answered by a line, and the line does it; a table for so many, and what of its
// size nobody said.
#include "spoken_to.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// The line an answer says to type; empty where it says none.
std::string lineTold(const std::string& answer) {
    const std::string before = "Type it, like: ";
    const auto at = answer.find(before);
    return at == std::string::npos ? std::string() : answer.substr(at + before.size());
}

} // namespace

TEST(HowIsItDone, TheLineThatIsToldDoesIt) {
    const std::vector<std::string> furnished{"sofa 84 x 36 against wall A, 20 from corner DA",
                                             "armchair 32 x 34, 40 from wall C, 90 "
                                             "from wall B",
                                             "picture 20 x 16 on wall B"};
    const char* metricNotes = "units cm\nroom R\nceiling 250\nwall A 600\nwall B 450\nwall C 600\n "
                              "door 60 from left, 82, to Hall\nwall D 450\n";
    const auto inches = jobWith(furnished);
    const auto metric = jobWith(
        {"sofa against wall A, 50 from corner DA", "armchair, 100 from wall C, 220 from wall B"},
        metricNotes);
    int lines = 0;
    for (const char* doing :
         {"remove the sofa", "delete it", "turn the sofa", "resize the armchair", "make it bigger",
          "swap the chairs", "replace the sofa", "copy the armchair", "rename the sofa",
          "lock the sofa", "move the sofa", "push it back", "hang a picture", "mount a mirror",
          "add a chair", "place a lamp", "measure the gap", "get rid of the armchair"})
        for (const Project* job : {&inches, &metric}) {
            const auto asked = std::string("how do I ") + doing + "?";
            const auto line = lineTold(toldBySaying(*job, asked));
            ASSERT_FALSE(line.empty()) << asked;
            const auto told = toldBySaying(*job, line);
            EXPECT_NE(told.find("refused"), 0U) << asked << ": " << line << ": " << told;
            ++lines;
        }
    EXPECT_EQ(lines, 36);
    // What is done to the whole job is a word of its own.
    EXPECT_EQ(lineTold(toldBySaying(inches, "how do I undo?")), "undo");
    EXPECT_EQ(lineTold(toldBySaying(inches, "how can I print?")), "print the plan");
}

TEST(HowIsItDone, AWayIsNoDoing) {
    const auto told = toldBySaying(jobWith({}), "how do I get to the window?");
    EXPECT_TRUE(lineTold(told).empty()) << told;
}

TEST(ATableForSoMany, SaysWhatOfItsSizeIsAssumed) {
    const auto job = jobWith({});
    // 24 in of edge each is the least (the notes' diner-width); few sit at less than the kit has.
    const auto four = toldBySaying(job, "dining table for 4 in the middle of the room");
    EXPECT_TRUE(tellsThat(four, "48 x 32 x 30")) << four;
    EXPECT_TRUE(tellsThat(four, "Its size is assumed, for 4.")) << four;
    // One that is given its size has it.
    const auto given = toldBySaying(job, "dining table 60 x 36 for 4 in the middle of the room");
    EXPECT_FALSE(tellsThat(given, "assumed")) << given;
    // An answer says so too, whether it is asked for as a table or as a dining table.
    for (const char* asked :
         {"is there room for a table for 4?", "where does a dining table for 4 go?",
          "does a table for four fit?"}) {
        const auto told = toldBySaying(job, asked);
        EXPECT_TRUE(tellsThat(told, "Yes, it fits")) << asked << ": " << told;
        EXPECT_TRUE(tellsThat(told, "Its size is assumed, for 4.")) << asked << ": " << told;
    }
    EXPECT_TRUE(tellsThat(toldBySaying(job, "dining table for 90"), "no table seats so many"));
}
