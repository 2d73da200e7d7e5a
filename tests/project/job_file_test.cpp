#include "files/whole_file.h"
#include "jobs.h"

#include "measure/text.h"

#include <filesystem>
#include <fstream>
#include <random>

using namespace mezzet;
using namespace mezzet::test;
namespace fs = std::filesystem;

namespace {
Project sample() {
    return jobWith({"sofa 84 x 36 against wall A, centred on window 1, 3 left",
                    "corner sofa in corner CD", "coffee table 16 from sofa, centred on sofa",
                    "rug under sofa and coffee table", "wing chair at 4', 8', facing sofa",
                    "lock wing chair", "scheme new called Second", "school viewer-and-air",
                    "band seat-to-table 14 to 18"});
}
fs::path folder() {
    const auto f = fs::temp_directory_path() / ("mezzet-test-" + std::to_string(::getpid()));
    fs::create_directories(f);
    return f;
}
} // namespace

TEST(JobFile, WhatIsSavedOpensTheSame) {
    const auto job = sample();
    const auto text = jobText(job);
    const auto back = readJob(text, "a.mezzet", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ(jobText(**back), text);
    EXPECT_EQ((*back)->active, 1U);
    EXPECT_EQ((*back)->judgement, job.judgement);
    for (std::size_t i = 0; i < job.scheme().pieces.size(); ++i)
        EXPECT_EQ((*back)->scheme().pieces[i].ties, job.scheme().pieces[i].ties);
}

TEST(JobFile, KeepsFieldsItDoesNotKnow) {
    auto text = jobText(sample());
    const auto insert = [&](const std::string& before, const std::string& what) {
        const auto at = text.find(before);
        ASSERT_NE(at, std::string::npos);
        text.insert(at, what);
    };
    insert("\"format\"", "\"fromTheFuture\": {\"a\": [1, 2]}, ");
    insert("\"notes\"", "\"roomFuture\": 5, ");
    insert("\"kind\"", "\"pieceFuture\": \"x\", ");
    insert("\"tie\"", "\"tieFuture\": true, ");
    const auto back = readJob(text, "a.mezzet", library());
    ASSERT_TRUE(back) << back.problem().text();
    const auto again = jobText(**back);
    for (const char* f : {"fromTheFuture", "roomFuture", "pieceFuture", "tieFuture"})
        EXPECT_NE(again.find(f), std::string::npos) << f;
}

TEST(JobFile, DamagedAndHostileFilesAreRefusedWithAMessage) {
    const auto good = jobText(sample());
    const auto replaced = [&](const std::string& a, const std::string& b) {
        auto t = good;
        const auto at = t.find(a);
        EXPECT_NE(at, std::string::npos) << a;
        return t.replace(at, a.size(), b);
    };
    const std::string bad[] = {"",
                               "{",
                               "[]",
                               "null",
                               "{\"format\":\"mezzet-job\"}",
                               std::string(100000, '['),
                               good.substr(0, good.size() / 2),
                               replaced("\"version\": 4", "\"version\": 99"),
                               replaced("\"version\": 4", "\"version\": 5"),
                               replaced("\"version\": 4", "\"version\": \"one\""),
                               replaced("mezzet-job", "other"),
                               replaced("\"kind\": \"sofa\"", "\"kind\": \"spaceship\""),
                               replaced("\"active\": 2", "\"active\": 9"),
                               replaced("\"id\": 1,", "\"id\": 3,"),
                               replaced("2133.6", "1e400"),
                               replaced("2133.6", "-5"),
                               replaced("\"tie\": \"against\"", "\"tie\": \"glued\""),
                               replaced("wall A 20'", "wall Q 20'"),
                               replaced("\"name\": \"Sofa\"", "\"name\": \"\""),
                               replaced("\"school\": \"viewer-and-air\"", "\"school\": \"none\"")};
    for (const auto& text : bad) {
        const auto r = readJob(text, "bad.mezzet", library());
        ASSERT_FALSE(r) << text.substr(0, 80);
        EXPECT_FALSE(r.problem().what.empty());
        EXPECT_NE(r.problem().file.find("bad.mezzet"), std::string::npos);
    }
    EXPECT_FALSE(readJob(std::string(mostJobBytes + 1, ' '), "big.mezzet", library()));
}

TEST(JobFile, TruncatedOrScrambledAnywhereNeverCrashes) {
    const auto good = jobText(sample());
    std::mt19937 random(3);
    for (int i = 0; i < 1500; ++i) {
        auto t = good;
        if (i % 2 == 0)
            t.resize(random() % t.size());
        else
            for (int k = 0; k < 3; ++k)
                t[random() % t.size()] = static_cast<char>(32 + random() % 95);
        const auto r = readJob(t, "x.mezzet", library());
        if (!r)
            EXPECT_FALSE(r.problem().what.empty());
    }
}

TEST(JobFile, ALoopInAFileIsRefused) {
    auto job = jobWith({"sofa against wall A", "coffee table 16 from sofa"});
    auto text = jobText(job);
    // The sofa's own tie is turned toward the table.
    const auto at = text.find("\"tie\": \"against\"");
    const auto end = text.find("\"distance\"", at);
    text.replace(
        at, end - at,
        "\"tie\": \"from-piece\", \"side\": \"front\", \"of\": {\"is\": \"piece\", \"id\": 2}, ");
    const auto r = readJob(text, "loop.mezzet", library());
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().what.find("loop"), std::string::npos) << r.problem().text();
}

TEST(Saving, ReplacesTheFileWholeOrLeavesItAlone) {
    const auto path = folder() / "job.mezzet";
    const auto job = sample();
    ASSERT_TRUE(saveJob(job, path));
    EXPECT_EQ(*readTextFile(path, mostJobBytes), jobText(job));
    ASSERT_TRUE(saveJob(jobWith({}), path));
    EXPECT_TRUE(openJob(path, library()));
    for (const auto& f : fs::directory_iterator(folder()))
        EXPECT_EQ(f.path().filename(), "job.mezzet") << "nothing half-written is left about";
    EXPECT_FALSE(saveJob(job, folder() / "no such folder" / "job.mezzet"));
    EXPECT_FALSE(saveJob(job, folder()));
    fs::remove_all(folder());
}

TEST(Edits, ChangingTheRoomMovesWhatIsTiedAndRefusesNothing) {
    auto job = jobWith({"sofa 84 x 36 against wall C, centred on wall C",
                        "stool against wall A, centred on window 1"});
    const auto after = apply(
        job, {"measure again", {SetNotes{"wall A 18'\nwall B 12'\nwall C 18'\nwall D 12'"}}, {}});
    ASSERT_TRUE(after) << after.problem().text();
    EXPECT_NEAR(poseOf(*after->project, "Sofa").at.y / 25.4, 144 - 18, 1e-6);
    EXPECT_NEAR(poseOf(*after->project, "Sofa").at.x / 25.4, 108, 1e-6);
    EXPECT_FALSE(after->notices.empty()) << "the window is gone";
    EXPECT_FALSE(apply(job, {"bad notes", {SetNotes{"wall Z"}}, {}}));
}
