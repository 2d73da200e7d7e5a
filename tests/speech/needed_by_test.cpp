// What a pattern can't be matched without: found for patterns written here, and held against every
// one of the program's own with the cases of speech: none may be kept from a line that it matches.
#include "measure/text.h"
#include "speech/needed_by.h"
#include "speech/other_words_table.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <fstream>
#include <regex>

using namespace mezzet;

namespace {

bool allowed(const std::vector<std::vector<std::string>>& needs, const std::string& line) {
    const auto folded = foldCase(line);
    return std::all_of(needs.begin(), needs.end(), [&](const auto& any) {
        return std::any_of(any.begin(), any.end(), [&](const std::string& w) {
            return folded.find(w) != std::string::npos;
        });
    });
}

std::vector<std::string> linesOfSpeech() {
    std::ifstream in(std::string(MEZZET_TEST_CASES) + "/plain_speech.txt");
    std::vector<std::string> out;
    for (std::string line; std::getline(in, line);)
        if (const auto end = line.find(" | "); end != std::string::npos && line[0] != '#') {
            // Each of several that are said in turn.
            std::string said = line.substr(0, end);
            for (auto at = said.find(" ;; "); at != std::string::npos; at = said.find(" ;; ")) {
                out.push_back(said.substr(0, at));
                said = said.substr(at + 4);
            }
            out.push_back(said);
        }
    return out;
}

} // namespace

TEST(NeededBy, IsWhatStandsInNoBracketAndIsNotLeftToChoice) {
    using All = std::vector<std::vector<std::string>>;
    EXPECT_EQ(neededBy("float (.+)"), (All{{"float "}}));
    EXPECT_EQ(neededBy("(.+?) on cent(?:er|re)"), (All{{" on cent"}, {"er", "re"}}));
    EXPECT_EQ(neededBy("colou?r"), (All{{"colo"}, {"r"}}));
    EXPECT_EQ(neededBy("(?:please )?undo"), (All{{"undo"}}));
    EXPECT_EQ(neededBy("(?:move|push) (.+)"), (All{{"move", "push"}, {" "}}));
    // A branch that may be anything, or nothing, asks for nothing.
    EXPECT_EQ(neededBy("(?:move|.+) it"), (All{{" it"}}));
    EXPECT_EQ(neededBy("(a |)b"), (All{{"b"}}));
    EXPECT_EQ(neededBy("a|b"), (All{{"a", "b"}}));
    EXPECT_EQ(neededBy(".*"), All{});
    EXPECT_EQ(neededBy(""), All{});
    // What only looks ahead takes nothing, and signs between words are none of theirs.
    EXPECT_EQ(neededBy("\\blamp(?! on)\\?"), (All{{"lamp"}}));
    EXPECT_EQ(neededBy("[a-z]+ sofas?"), (All{{" sofa"}}));
    // Brackets in brackets.
    EXPECT_EQ(neededBy("(?:the (?:left|right)|both) side"), (All{{"the ", "both"}, {" side"}}));
}

TEST(NeededBy, KeepsNoLineFromAPatternThatMatchesIt) {
    const auto lines = linesOfSpeech();
    ASSERT_GT(lines.size(), 1000U);
    int matched = 0;
    int spared = 0;
    for (const auto table : {otherWords(), moreOtherWords(), otherQuestions()})
        for (const OtherWords& o : table) {
            const auto needs = neededBy(o.said);
            const std::regex words(o.said, std::regex::icase | std::regex::optimize);
            // Every seventh line, another one for each pattern.
            for (std::size_t i = static_cast<std::size_t>(matched) % 7; i < lines.size(); i += 7) {
                const bool may = allowed(needs, lines[i]);
                spared += may ? 0 : 1;
                if (!std::regex_match(lines[i], words))
                    continue;
                ++matched;
                EXPECT_TRUE(may) << o.said << "\n" << lines[i];
            }
        }
    EXPECT_GT(matched, 100);
    // And most are spared their pattern.
    EXPECT_GT(spared, 50000);
}

TEST(NeededBy, EveryPatternMatchesWhatItIsPutFor) {
    // A pattern that turns a line into itself would be tried for nothing.
    for (const auto table : {otherWords(), moreOtherWords(), otherQuestions(), otherWithin()})
        for (const OtherWords& o : table) {
            EXPECT_NE(std::string(o.said), std::string(o.instead));
            EXPECT_NO_THROW(std::regex(o.said, std::regex::icase)) << o.said;
            // No figure for what is in no bracket.
            const std::regex words(o.said, std::regex::icase);
            const std::string instead = o.instead;
            for (std::size_t i = 0; i + 1 < instead.size(); ++i)
                if (instead[i] == '$') {
                    EXPECT_LE(static_cast<unsigned>(instead[i + 1] - '0'), words.mark_count())
                        << o.said << " -> " << o.instead;
                }
        }
}
