// What people say, case by case, from tests/cases/plain_speech.txt. To see the share and each case
// that fails: build/bin/test-speech --gtest_filter=Said.*
#include "said_cases.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

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
