// What people say, case by case, from tests/cases/plain_speech.txt. To see the share and each case
// that fails: build/bin/test-speech --gtest_filter=Said.*
#include "rounds.h"
#include "said_cases.h"
#include "speech/speech.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

TEST(Said, NineInTenAreHeardRightAndNoneWrong) {
    const auto file = readSaidFile(std::filesystem::path(MEZZET_TEST_CASES) / "plain_speech.txt");
    int right = 0;
    int wrong = 0;
    for (const auto& c : file.cases) {
        const auto out = tryCase(c, file);
        right += out.heard == Heard::right ? 1 : 0;
        if (out.heard == Heard::right)
            continue;
        wrong += out.heard == Heard::wrong ? 1 : 0;
        std::string said;
        for (const auto& s : c.sentences)
            said += (said.empty() ? "" : " ;; ") + s;
        fmt::print("{} {} {}: {}\n    {}\n", out.heard == Heard::wrong ? "WRONG  " : "refused",
                   c.setting, c.line, said, out.why.substr(0, 300));
    }
    const auto all = static_cast<int>(file.cases.size());
    fmt::print("heard right: {} of {} ({:.1f} %), done wrong: {}\n", right, all,
               100.0 * right / all, wrong);
    EXPECT_GE(all, 400);
    EXPECT_GE(right, all * 9 / 10);
    EXPECT_EQ(wrong, 0);
}

// What is said of one room, said in all the others: whatever it comes to, it is an edit that can be
// done, an answer with words, or a refusal with its reason.
TEST(Said, AnySentenceInAnyRoomIsDoneAnsweredOrRefused) {
    const auto file = readSaidFile(std::filesystem::path(MEZZET_TEST_CASES) / "plain_speech.txt");
    std::vector<std::string> all;
    for (const auto& c : file.cases)
        all.insert(all.end(), c.sentences.begin(), c.sentences.end());
    std::mt19937 any(29);
    std::uniform_int_distribution<std::size_t> which(0, all.size() - 1);
    const int each = rounds(8, 120);
    int done = 0;
    int refused = 0;
    for (const auto& setting : file.settings)
        for (int i = 0; i < each; ++i) {
            const auto& line = all[which(any)];
            const auto said = readSpoken(line, setting.job, {});
            if (!said) {
                ++refused;
                EXPECT_FALSE(said.problem().what.empty()) << setting.name << ": " << line;
                continue;
            }
            if (said->is == Spoken::Is::answer)
                EXPECT_FALSE(said->answer.words.empty()) << setting.name << ": " << line;
            if (said->is != Spoken::Is::edit)
                continue;
            EXPECT_FALSE(said->said.preview.empty()) << setting.name << ": " << line;
            const auto after = apply(setting.job, said->said.edit);
            EXPECT_TRUE(after) << setting.name << ": " << line << ": "
                               << (after ? "" : after.problem().text());
            ++done;
        }
    // A good part of them changes something there.
    EXPECT_GT(done * 8, static_cast<int>(file.settings.size()) * each);
    EXPECT_GT(refused, 0);
}
