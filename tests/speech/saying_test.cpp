// A way of saying: found in a whole line, asked first for what it can't do without.
#include "speech/saying.h"

#include <gtest/gtest.h>

using namespace mezzet;

TEST(Saying, IsTheWholeLineInAnyCase) {
    const Saying pull("(?:pull|bring) (.+?) (?:away from|off) (.+)");
    std::smatch found;
    const std::string line = "Pull the Sofa away from wall A";
    ASSERT_TRUE(pull.is(line, found));
    EXPECT_EQ(found[1], "the Sofa");
    EXPECT_EQ(found[2], "wall A");
    EXPECT_FALSE(pull.is("please pull the sofa off wall A", found));
    EXPECT_FALSE(pull.is("pull the sofa to wall A", found));
}

TEST(Saying, ALineWithoutWhatItNeedsIsNotLookedAt) {
    const Saying pull("(?:pull|bring) (.+?) (?:away from|off) (.+)");
    EXPECT_TRUE(pull.canBeIn("pull the sofa off wall a"));
    EXPECT_FALSE(pull.canBeIn("pull the sofa to wall a"));
    EXPECT_FALSE(pull.canBeIn("sofa away from wall a"));
    EXPECT_FALSE(pull.canBeIn(""));
    // What may be left out is not needed.
    EXPECT_TRUE(Saying("(?:please )?sit").canBeIn("sit"));
    // Nothing is needed by what is all of it open: the pattern decides.
    EXPECT_TRUE(Saying("(.+)").canBeIn("anything"));
}

TEST(Saying, WhatItMatchesItNeverRulesOut) {
    const Saying ways[] = {
        Saying("(.+?) (?:in|at|into) (?:the |that )?(middle|cent(?:er|re))(?: of (.+))?"),
        Saying("(?:an? )?(lamp|light)s? every ([0-9].*)"),
        Saying("(?:two|2) (.+?)s facing (?:each other|one another)"),
    };
    const std::string lines[] = {"rug in the middle",           "RUG AT THE CENTRE of the room",
                                 "a light every 5 feet",        "lamps every 120 cm",
                                 "Two sofas facing each other", "2 chairs facing one another"};
    for (const std::string& line : lines) {
        int said = 0;
        for (const Saying& way : ways) {
            std::smatch found;
            if (std::regex_match(line, found, way.pattern())) {
                ++said;
                EXPECT_TRUE(way.is(line, found)) << line;
            }
        }
        EXPECT_EQ(said, 1) << line;
    }
}
