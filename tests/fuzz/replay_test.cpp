// The fuzzers' small corpora, each input as it is and changed at random, without libFuzzer: what
// was found once is not lost again.
#include "fuzz/targets.h"
#include "rounds.h"

#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>
#include <random>

using namespace mezzet::fuzz;

namespace {

std::vector<std::pair<std::string, std::string>> corpusOf(const std::string& name) {
    std::vector<std::pair<std::string, std::string>> out;
    for (const auto& f : std::filesystem::directory_iterator(
             std::filesystem::path(MEZZET_TEST_CASES).parent_path() / "fuzz/corpus" / name)) {
        std::ifstream in(f.path(), std::ios::binary);
        out.emplace_back(f.path().filename().string(),
                         std::string{std::istreambuf_iterator<char>(in), {}});
    }
    std::sort(out.begin(), out.end());
    return out;
}

/// A few bytes changed, a stretch taken out, doubled, or brought from another input.
std::string changed(std::string s, const std::string& other, std::mt19937& random) {
    const auto any = [&](std::size_t below) { return below == 0 ? 0 : random() % below; };
    for (int n = static_cast<int>(any(4)); n > 0 || s.empty(); --n) {
        const auto at = any(s.size() + 1);
        const auto long_ = any(std::min<std::size_t>(s.size() - std::min(at, s.size()), 40) + 1);
        switch (any(6)) {
        case 0:
            s.insert(at, 1, static_cast<char>(random()));
            break;
        case 1:
            s.erase(at, long_);
            break;
        case 2:
            s.insert(at, s.substr(at, long_));
            break;
        case 3: {
            const auto from = any(other.size() + 1);
            s.insert(at, other.substr(from, any(60)));
            break;
        }
        case 4:
            s.insert(
                at, std::array{"-1", "1e999", "99999999999", "\"", "\\u0000", "0", "\xff"}[any(7)]);
            break;
        default:
            if (at < s.size())
                s[at] = static_cast<char>(s[at] ^ (1 << any(8)));
        }
    }
    return s;
}

class Replay : public testing::TestWithParam<Target> {};

} // namespace

TEST_P(Replay, HoldsForItsCorpusAndWhatIsNearIt) {
    const Target& target = GetParam();
    const auto corpus = corpusOf(target.name);
    ASSERT_FALSE(corpus.empty()) << "no corpus for " << target.name;
    const int tries = mezzet::test::rounds(60, 2000);
    std::mt19937 random(7);
    for (const auto& [file, text] : corpus) {
        EXPECT_NO_THROW(target.run(text)) << target.name << "/" << file;
        for (int i = 0; i < tries; ++i) {
            const auto input = changed(text, corpus[random() % corpus.size()].second, random);
            try {
                target.run(input);
            } catch (const std::exception& e) {
                ADD_FAILURE() << target.name << "/" << file << ", change " << i << ": " << e.what()
                              << "\n"
                              << input.substr(0, 2000);
            }
        }
    }
}

INSTANTIATE_TEST_SUITE_P(Readers, Replay, testing::ValuesIn(targets().begin(), targets().end()),
                         [](const auto& p) { return std::string(p.param.name); });
