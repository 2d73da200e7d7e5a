// Files on a bad day: limits, pipes, masks, links that lead nowhere, two programs on one job.
#include "files/job_lock.h"
#include "files/whole_file.h"
#include "jobs.h"
#include "kit/csv.h"

#include <csignal>
#include <filesystem>
#include <fstream>
#include <random>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

using namespace mezzet;
using namespace mezzet::test;
namespace fs = std::filesystem;

namespace {

class WholeFiles : public testing::Test {
protected:
    void SetUp() override {
        folder = fs::temp_directory_path() / ("mezzet-whole-" + std::to_string(::getpid()));
        fs::create_directories(folder);
    }
    void TearDown() override { fs::remove_all(folder); }
    std::string read(const fs::path& p) const {
        std::ifstream in(p);
        return {std::istreambuf_iterator<char>(in), {}};
    }
    std::size_t files() const {
        return static_cast<std::size_t>(
            std::distance(fs::directory_iterator(folder), fs::directory_iterator()));
    }
    fs::path folder;
};

} // namespace

TEST_F(WholeFiles, AFileLimitIsToldAndLeavesNoScrap) {
    const auto path = folder / "job.mezzet";
    ASSERT_TRUE(writeWhole(path, "old"));
    const pid_t child = ::fork();
    if (child == 0) {
        ::signal(SIGXFSZ, SIG_IGN);
        const rlimit small{4096, 4096};
        ::setrlimit(RLIMIT_FSIZE, &small);
        const auto r = writeWhole(path, std::string(100000, 'x'));
        ::_exit(r ? 1 : r.problem().what.empty() ? 2 : 0);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    EXPECT_EQ(WEXITSTATUS(status), 0);
    EXPECT_EQ(read(path), "old");
    EXPECT_EQ(files(), 1U);
}

TEST_F(WholeFiles, TheUsersMaskIsKept) {
    const auto was = ::umask(027);
    ASSERT_TRUE(writeWhole(folder / "new", "x"));
    ::umask(was);
    struct stat s {};
    ::stat((folder / "new").c_str(), &s);
    EXPECT_EQ(s.st_mode & 0777U, 0640U);
}

TEST_F(WholeFiles, ALinkToWhatIsNotThereYetStaysALink) {
    fs::create_symlink("there/job.mezzet", folder / "link");
    fs::create_directory(folder / "there");
    ASSERT_TRUE(writeWhole(folder / "link", "new"));
    EXPECT_TRUE(fs::is_symlink(folder / "link"));
    EXPECT_EQ(read(folder / "there/job.mezzet"), "new");
    fs::create_symlink("b", folder / "a");
    fs::create_symlink("a", folder / "b");
    EXPECT_FALSE(writeWhole(folder / "a", "x")) << "links in a ring lead nowhere";
    EXPECT_TRUE(fs::is_symlink(folder / "a"));
}

TEST_F(WholeFiles, PipesDevicesAndFoldersAreRefusedAndNotWaitedFor) {
    ASSERT_EQ(::mkfifo((folder / "pipe").c_str(), 0600), 0);
    for (const fs::path& p : {folder / "pipe", fs::path("/dev/null"), folder}) {
        const auto began = std::chrono::steady_clock::now();
        EXPECT_FALSE(writeWhole(p, "x")) << p;
        EXPECT_FALSE(readWholeFile(p, 1000)) << p;
        EXPECT_LT(std::chrono::steady_clock::now() - began, std::chrono::seconds(2)) << p;
    }
    EXPECT_TRUE(fs::is_fifo(folder / "pipe"));
}

TEST_F(WholeFiles, WhatAKilledWriteLeftIsClearedByTheNext) {
    const auto path = folder / "job.mezzet";
    const pid_t child = ::fork();
    if (child == 0) {
        // Killed in the middle of writing much.
        std::thread([] {
            std::this_thread::sleep_for(std::chrono::milliseconds(3));
            ::kill(::getpid(), SIGKILL);
        }).detach();
        const std::string much(60'000'000, 'x');
        for (;;)
            (void)writeWhole(path, much);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    ASSERT_TRUE(WIFSIGNALED(status));
    ASSERT_TRUE(writeWhole(path, "whole"));
    EXPECT_EQ(read(path), "whole");
    EXPECT_EQ(files(), 1U);
}

TEST_F(WholeFiles, AJobIsKeptForOneProgramAndFreeWhenThatEnds) {
    const auto job = folder / "job.mezzet";
    ASSERT_TRUE(writeWhole(job, "{}"));
    int ready[2];
    ASSERT_EQ(::pipe(ready), 0);
    const pid_t other = ::fork();
    if (other == 0) {
        const auto lock = JobLock::take(job, theWindow, std::chrono::milliseconds(0));
        (void)!::write(ready[1], lock ? "y" : "n", 1);
        ::pause();
    }
    char said = 0;
    ASSERT_EQ(::read(ready[0], &said, 1), 1);
    ASSERT_EQ(said, 'y');
    const auto began = std::chrono::steady_clock::now();
    const auto mine = JobLock::take(job, "a command", std::chrono::seconds(30));
    ASSERT_FALSE(mine);
    EXPECT_LT(std::chrono::steady_clock::now() - began, std::chrono::seconds(2))
        << "a window is not waited for";
    EXPECT_NE(mine.problem().text().find(std::to_string(other)), std::string::npos)
        << "it says who has it: " << mine.problem().text();
    ASSERT_TRUE(holderOf(job));
    ::kill(other, SIGKILL);
    int status = 0;
    ::waitpid(other, &status, 0);
    auto now = JobLock::take(job, "a command", std::chrono::milliseconds(500));
    ASSERT_TRUE(now) << "a killed program keeps nothing";
    now->release();
    EXPECT_EQ(files(), 1U);
}

TEST_F(WholeFiles, AnotherFileUnderTheSameNameIsSeen) {
    const auto job = folder / "job.mezzet";
    ASSERT_TRUE(writeWhole(job, "one"));
    const auto before = stampOf(job);
    EXPECT_EQ(before, stampOf(job));
    ASSERT_TRUE(writeWhole(job, "two"));
    EXPECT_FALSE(before == stampOf(job)) << "as long as it was, and written within the second";
    fs::remove(job);
    EXPECT_FALSE(stampOf(job).there);
}

TEST(OwnKinds, WhateverIsTakenCanBeReadAgain) {
    std::mt19937 random(23);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    const auto& kinds = library().kit->kinds();
    int kept = 0;
    for (int i = 0; i < 400; ++i) {
        Kind k = *kinds[random() % kinds.size()];
        k.id = "own-" + std::to_string(i);
        k.name = "Own kind " + std::to_string(i);
        k.also.clear();
        const auto size = [&] { return Length::inches(any(4, 90) + any(0, 15) / 16.0); };
        k.size = {size(), size(), size()};
        if (any(0, 3) == 0)
            k.size.depth = k.size.width;
        if (any(0, 2) == 0)
            k.footprint.form = FootprintForm::oval;
        if (any(0, 4) == 0)
            k.hanging.drop = Length::inches(any(0, 40) / 8.0);
        const auto text = kitText({k});
        const auto again = readKit(text, "own");
        if (!again) {
            // What can't be read must not be taken either.
            EXPECT_FALSE(withOwnKinds(library(), {k}, MEZZET_TEST_DATA))
                << again.problem().text() << "\n"
                << text;
            continue;
        }
        ++kept;
        ASSERT_EQ(again->size(), 1U);
        EXPECT_EQ(kitText(*again), text);
        EXPECT_EQ(again->front().footprint.form, k.footprint.form);
        EXPECT_NEAR(again->front().size.width.mm(), k.size.width.mm(), 0.01);
        EXPECT_NEAR(again->front().size.depth.mm(), k.size.depth.mm(), 0.01);
    }
    EXPECT_GT(kept, 300);
}

TEST(Kits, ANumberWithoutEndIsRefusedAndNeverTheEndOfTheProgram) {
    for (const char* bad : {"1e999", "-1e999", "1e308", "0", "-5"}) {
        const auto r = readKit(std::string(R"({"format": "mezzet-kit 1", "unit": "in", "kinds": [)"
                                           R"({"id": "x", "name": "X", "family": "seat", "role": )"
                                           R"("sofa", "size": [)") +
                                   bad + ", 30, 30]}]}",
                               "kit");
        ASSERT_FALSE(r) << bad;
        EXPECT_EQ(r.problem().file, "kit");
    }
}

TEST(Cells, ThatASpreadsheetWouldRunAreWrittenSoThatItDoesNot) {
    for (const char* bad : {"=1+1", "+cmd", "-2", "@SUM(A1)", "\t=1", "\r=1"}) {
        const auto cell = csvCell(bad);
        const auto inside = cell.front() == '"' ? cell.substr(1) : cell;
        EXPECT_EQ(std::string("=+-@\t\r").find(inside.front()), std::string::npos) << cell;
        const auto back = readCsv(cell + "\n", "x");
        ASSERT_TRUE(back) << cell;
    }
    EXPECT_EQ(csvCell("plain"), "plain");
}
