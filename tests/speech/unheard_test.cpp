// Things the kit doesn't know: drawn as plain pieces of their size, and told so; and what is no
// such thing but a slip of the keys, a verb or a question.
#include "jobs.h"
#include "measure/text.h"
#include "speech/speech.h"
#include "speech/unheard.h"

using namespace mezzet;
using namespace mezzet::test;

TEST(Unheard, IsWhatALineAddsThatNoKindIsCalled) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A"});
    struct Case {
        const char* line;
        const char* noun;
        const char* plain;
        const char* sized;
    };
    for (const Case& c :
         {Case{"a punchbag 16 x 16 x 48 in the corner", "punchbag",
               "a other piece 16 x 16 x 48 called Punchbag, in the corner", ""},
          Case{"put a samovar in corner AB", "samovar", "",
               "put a samovar 24 x 24 x 36\" in corner AB"},
          Case{"hang a dreamcatcher over the sofa", "dreamcatcher", "",
               "hang a dreamcatcher 24 x 24\" over the sofa"},
          Case{"thurible on the sofa", "thurible", "", "thurible 12 x 12 x 12\" on the sofa"},
          Case{"puppet theatre 100 x 56 against wall B", "puppet theatre",
               "other piece 100 x 56 called Puppet theatre, against wall B", ""}}) {
        const auto found = unheardOf(c.line, job);
        ASSERT_TRUE(found) << c.line;
        EXPECT_EQ(found->noun, c.noun);
        EXPECT_EQ(std::string(c.line).substr(found->at, found->bytes), c.noun);
        EXPECT_EQ(found->sized, c.sized);
        if (*c.plain != 0) {
            EXPECT_EQ(found->plain, c.plain);
        }
    }
    for (const char* none :
         {"moev sofa", "punchbag", "the punchbag to wall A", "sofa 84 x 36", "a sofaa on wall A",
          "wobble it", "", "a", "12 x 12", "a sdie table 20 x 20 x 20", "a dinnig chair 18 x 20"})
        EXPECT_FALSE(unheardOf(none, job)) << none;
}

TEST(Unheard, IsDrawnInItsSizeAndSaid) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A"});
    const auto said = readSpoken("a punchbag 16 x 16 x 48 in the corner", job, listening(0));
    ASSERT_TRUE(said);
    ASSERT_EQ(said->is, Spoken::Is::edit);
    EXPECT_NE(said->said.preview.find("the kit has no “punchbag”"), std::string::npos);
    const auto after = apply(job, said->said.edit);
    ASSERT_TRUE(after);
    const Piece* bag = after->project->scheme().byName("Punchbag");
    ASSERT_NE(bag, nullptr);
    EXPECT_EQ(bag->kind->id, "other-piece");
    EXPECT_EQ(bag->size, (Size{Length::inches(16), Length::inches(16), Length::inches(48)}));
    // A second one has a name of its own.
    const auto again =
        readSpoken("a punchbag 16 x 16 x 48 in the corner", *after->project, listening(0));
    ASSERT_TRUE(again);
    const auto two = apply(*after->project, again->said.edit);
    ASSERT_TRUE(two);
    EXPECT_NE(two->project->scheme().byName("Punchbag 2"), nullptr);
}

TEST(Unheard, WithoutASizeIsAskedForOneAndOffersTheWholeLine) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A"});
    for (const char* line : {"a punchbag in the corner", "put a samovar against wall C"}) {
        const auto said = readSpoken(line, job, listening(0));
        ASSERT_FALSE(said) << line;
        EXPECT_EQ(said.problem().what.rfind("the kit has no “", 0), 0U) << said.problem().what;
        EXPECT_GT(said.problem().column, 1);
        const auto ways = waysOn(line, job, listening(0));
        ASSERT_FALSE(ways.empty()) << line;
        const auto taken = readSpoken(ways.front(), job, listening(0));
        ASSERT_TRUE(taken) << ways.front();
        EXPECT_NE(taken->said.preview.find("24 x 24 x 36"), std::string::npos);
    }
}

TEST(Unheard, WhatIsBuiltInIsToldToBeTaped) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A"});
    const auto said = readSpoken("put a radiator under window 1", job, listening(0));
    ASSERT_FALSE(said);
    EXPECT_NE(said.problem().what.find("built into the room"), std::string::npos)
        << said.problem().what;
    EXPECT_TRUE(isBuiltIn("radiator"));
    EXPECT_FALSE(isBuiltIn("punchbag"));
}
