// The same said in other words: only for what is refused as it was said, and told as ever.
#include "jobs.h"
#include "speech/other_words.h"
#include "speech/speech.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project den() {
    return jobWith({"sofa 84 x 36 against wall A", "coffee table 16 from sofa, centred on sofa",
                    "round table 48 called Supper table at 15', 11'", "stool at 3', 13'"});
}

std::string first(std::string_view text, const Project& job) {
    const auto all = inOtherWords(text, job);
    return all.empty() ? std::string() : all.front();
}

} // namespace

TEST(OtherWords, AreThoseTheLineKnows) {
    const auto job = den();
    EXPECT_EQ(first("where can I put a bookcase?", job), "is there space for a bookcase?");
    EXPECT_TRUE(inOtherWords("dining table with six chairs", job).empty())
        << "the chairs would be missing";
    EXPECT_EQ(first("hang a big picture over the sofa", job), "hang large picture over the sofa");
    EXPECT_EQ(first("two stools around the table", job), "two stools around Supper table");
    EXPECT_EQ(first("is the sofa too big?", job), "what is wrong with the sofa?");
}

TEST(OtherWords, LeaveNamesAndReasonsAlone) {
    const auto job = den();
    EXPECT_TRUE(inOtherWords("sofa called a big sofa", job).empty());
    EXPECT_TRUE(inOtherWords("because a big sofa", job).empty());
    EXPECT_TRUE(inOtherWords("sofa against wall A", job).empty());
    EXPECT_TRUE(inOtherWords(std::string(4000, 'x'), job).empty());
}

TEST(OtherWords, AreHeardWhereTheLineRefuses) {
    const auto job = den();
    const Listener to{};
    const auto large = readSpoken("hang a big picture over the sofa", job, to);
    ASSERT_TRUE(large) << large.problem().text();
    EXPECT_NE(large->said.preview.find("Large picture"), std::string::npos) << large->said.preview;
    const auto where = readSpoken("where can I put a bookcase?", job, to);
    ASSERT_TRUE(where) << where.problem().text();
    EXPECT_EQ(where->is, Spoken::Is::answer);
    // What the line takes is read as it was said.
    const auto plain = readSpoken("stool at 4', 12'", job, to);
    ASSERT_TRUE(plain);
    EXPECT_FALSE(readSpoken("zzzz the sofa", job, to));
}

TEST(OtherWords, AMoveThroughAWallIsAskedAbout) {
    const auto job = den();
    const auto asked = readSpoken("stool at 3', 15'", job, {});
    ASSERT_FALSE(asked);
    EXPECT_NE(asked.problem().remedy.find("anyway"), std::string::npos);
    EXPECT_TRUE(readSpoken("stool at 3', 15' anyway", job, {}));
}
