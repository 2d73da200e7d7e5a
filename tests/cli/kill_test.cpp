// A save that is killed: at each of its system calls, and at any moment. What is there afterwards
// is the old job or the new one, whole, and nothing else for long.
#include "cli/shell.h"
#include "project/project.h"
#include "rounds.h"

#include <csignal>
#include <random>
#include <set>
#include <sys/ptrace.h>
#include <thread>
#include <unistd.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

class Killed : public ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        write("room.tape", "ceiling 8'\nwall A 12'\nwall B 10'\nwall C 12'\nwall D 10'\n");
        ASSERT_EQ(run("build room.tape -o job.mezzet").code, 0);
        before = read("job.mezzet");
        std::filesystem::copy(folder / "job.mezzet", folder / "other.mezzet");
        ASSERT_EQ(run("say other.mezzet \"stool at 3', 3'\"").code, 0);
        after = read("other.mezzet");
        ASSERT_NE(before, after);
        std::filesystem::remove(folder / "other.mezzet");
    }

    /// Starts the saying command; traced, it stands still at its first instruction.
    pid_t start(bool traced) const {
        const pid_t child = ::fork();
        if (child == 0) {
            if (traced)
                ::ptrace(PTRACE_TRACEME, 0, nullptr, nullptr);
            if (::chdir(folder.c_str()) != 0 || ::freopen("/dev/null", "w", stdout) == nullptr)
                ::_exit(9);
            ::execl(MEZZET_CLI, MEZZET_CLI, "say", "job.mezzet", "stool at 3', 3'",
                    static_cast<char*>(nullptr));
            ::_exit(9);
        }
        return child;
    }

    /// The job is one or the other, opens, can be had at once, and the next save clears what was
    /// left. Returns whether it is the new one.
    bool isWhole(const std::string& when) {
        const auto now = read("job.mezzet");
        EXPECT_TRUE(now == before || now == after) << when;
        EXPECT_EQ(run("say job.mezzet \"units in\"").code, 0) << when << ": " << read("err.txt");
        std::set<std::string> there;
        for (const auto& f : std::filesystem::directory_iterator(folder))
            there.insert(f.path().filename().string());
        EXPECT_EQ(there, (std::set<std::string>{"err.txt", "job.mezzet", "out.txt", "room.tape"}))
            << when;
        write("job.mezzet", before);
        return now == after;
    }

    std::string before;
    std::string after;
};

} // namespace

TEST_F(Killed, AtAnySystemCallTheJobIsWhole) {
    int kills = 0;
    bool ended = false;
    bool isNew = false;
    // From the first call on that has to do with the save; those before it only read.
    for (int n = 1; !ended; n += longRun() ? 1 : 23) {
        const pid_t child = start(true);
        int status = 0;
        ASSERT_EQ(::waitpid(child, &status, 0), child);
        if (!WIFSTOPPED(status)) {
            GTEST_SKIP() << "this system doesn't let one program trace another";
        }
        // Each call stops twice: on the way in and on the way out.
        for (int stops = 0; stops < n && !ended; ++stops) {
            ::ptrace(PTRACE_SYSCALL, child, nullptr, nullptr);
            ASSERT_EQ(::waitpid(child, &status, 0), child);
            ended = WIFEXITED(status);
        }
        if (!ended) {
            ++kills;
            ::kill(child, SIGKILL);
            ::waitpid(child, &status, 0);
        }
        const bool now = isWhole("stop " + std::to_string(n));
        EXPECT_TRUE(now || !isNew) << "once it is saved it stays saved";
        isNew = isNew || now;
    }
    EXPECT_TRUE(isNew);
    EXPECT_GT(kills, 20);
    std::printf("%d kills at system calls\n", kills);
}

TEST_F(Killed, AtAnyMomentTheJobIsWhole) {
    std::mt19937 random(11);
    const auto began = std::chrono::steady_clock::now();
    const pid_t whole = start(false);
    int status = 0;
    ::waitpid(whole, &status, 0);
    const auto takes = std::chrono::duration_cast<std::chrono::microseconds>(
                           std::chrono::steady_clock::now() - began)
                           .count();
    write("job.mezzet", before);
    std::uniform_int_distribution<long> any(0, takes + takes / 5);
    for (int i = 0; i < (longRun() ? 300 : 20); ++i) {
        const pid_t child = start(false);
        std::this_thread::sleep_for(std::chrono::microseconds(any(random)));
        ::kill(child, SIGKILL);
        ::waitpid(child, &status, 0);
        isWhole("kill " + std::to_string(i));
    }
}
