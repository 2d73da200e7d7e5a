// What is written on a pad beside a tape: abbreviations, and what the first figure is written in.
#include "measure/text.h"
#include "survey/note_words.h"

#include <gtest/gtest.h>

#include <fstream>
#include <regex>
#include <sstream>

using namespace mezzet;

TEST(NoteWords, AnAbbreviationIsWrittenOut) {
    EXPECT_EQ(writtenOut("wdw"), "window");
    EXPECT_EQ(writtenOut("clg"), "ceiling");
    EXPECT_EQ(writtenOut("aff"), "up");
    EXPECT_EQ(writtenOut("sofa"), "sofa");
    EXPECT_EQ(writtenOut(""), "");
}

TEST(NoteWords, WhatIsWrittenOutIsNoAbbreviationItself) {
    for (const char* word :
         {"wdw", "win",  "dr",  "clg",  "ht",   "wd",    "dp",     "o/c",
          "c/c", "aff",  "lt",  "sw",   "rad",  "fp",    "opg",    "lhs",
          "rhs", "diag", "skt", "plug", "arch", "niche", "pillar", "receptacle"}) {
        EXPECT_NE(writtenOut(word), word);
        EXPECT_EQ(writtenOut(writtenOut(word)), writtenOut(word)) << word;
    }
}

// The table under "Abbreviations": written | read as | written | read as.
TEST(NoteWords, TheHandbooksTableIsWhatIsRead) {
    std::ifstream in(std::string(MEZZET_TEST_DATA) + "/../docs/tape-notes.md");
    ASSERT_TRUE(in);
    const std::regex written("`([A-Za-z./]+)`");
    const std::regex readAs("^ *([a-z]+)(?: \\(from the floor\\))? *$");
    int rows = 0;
    int words = 0;
    bool there = false;
    for (std::string line; std::getline(in, line);) {
        there = there || line == "## Abbreviations";
        if (!there || !line.starts_with("| `"))
            continue;
        ++rows;
        std::vector<std::string> cells;
        std::stringstream row(line.substr(1));
        for (std::string cell; std::getline(row, cell, '|');)
            cells.push_back(cell);
        ASSERT_EQ(cells.size(), 4U) << line;
        for (const std::size_t i : {0U, 2U}) {
            std::smatch meant;
            if (!std::regex_match(cells[i + 1], meant, readAs))
                continue; // several words, each its own, or one with a second beside it
            for (std::sregex_iterator w(cells[i].begin(), cells[i].end(), written), end; w != end;
                 ++w) {
                const auto word = foldCase((*w)[1].str());
                // A letter alone is a wall's name until a size is read.
                if (word.size() == 1)
                    continue;
                EXPECT_EQ(writtenOut(word), meant[1].str()) << line;
                ++words;
            }
        }
    }
    EXPECT_EQ(rows, 10);
    EXPECT_GT(words, 28);
}

TEST(FirstUnitOfNotes, DecidesWhatTheRestIsIn) {
    EXPECT_EQ(firstUnit("ceiling 2,55 m\nwall A 420"), FirstUnit::metric);
    EXPECT_EQ(firstUnit("wall A 420cm"), FirstUnit::metric);
    EXPECT_EQ(firstUnit("wall A 14' 2\nwall B 300 cm"), FirstUnit::feetOrInches);
    EXPECT_EQ(firstUnit("wall A 14 ft"), FirstUnit::feetOrInches);
    EXPECT_EQ(firstUnit("sill 32 in, wall B 2 m"), FirstUnit::feetOrInches);
    EXPECT_EQ(firstUnit("wall A 14\nwall B 12"), FirstUnit::nothing);
    EXPECT_EQ(firstUnit(""), FirstUnit::nothing);
}

TEST(FirstUnitOfNotes, IsNoRatioAndNoRemark) {
    EXPECT_EQ(firstUnit("slope 1 in 200\nwall A 3 m"), FirstUnit::metric);
    EXPECT_EQ(firstUnit("# the old plan says 14 ft\nwall A 3 m"), FirstUnit::metric);
    EXPECT_EQ(firstUnit("# 14 ft"), FirstUnit::nothing);
    // A word that only begins like a unit is none.
    EXPECT_EQ(firstUnit("2 mirrors\n3 inlets"), FirstUnit::nothing);
}
