// The real window, killed while it saves and keeps copies of what is unsaved.
#include "app/session/job_session.h"
#include "open_window.h"
#include "rounds.h"

#include <QDir>
#include <QProcess>
#include <QTemporaryDir>

#include <algorithm>
#include <csignal>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

constexpr const char* jobVariable = "MEZZET_KILL_JOB";

} // namespace

/// What the killed program does: says a piece, keeps a copy, saves, and again. Run by the test
/// below in a program of its own.
TEST(KillChild, DISABLED_SaysAndSaves) {
    const auto path = qEnvironmentVariable(jobVariable);
    ASSERT_FALSE(path.isEmpty());
    app::MainWindow window(*loadLibrary(MEZZET_TEST_DATA));
    window.show();
    ASSERT_TRUE(window.session().openFile(path));
    std::puts("ready");
    std::fflush(stdout);
    for (int i = 0; i < 400; ++i) {
        window.session().sayLine("add stool");
        window.session().keepCopy();
        QApplication::processEvents();
        if (i % 2 == 1)
            window.session().saveTo(path);
        if (i == 1) {
            std::puts("saved");
            std::fflush(stdout);
        }
    }
}

TEST(KilledWindow, LeavesAWholeJobAndWholeCopies) {
    const auto library = *loadLibrary(MEZZET_TEST_DATA);
    QTemporaryDir folder;
    const auto path = folder.filePath("job.mezzet");
    const auto job = *newProject(library, "wall A 20'\nwall B 20'\nwall C 20'\nwall D 20'");
    const int kills = std::max(4, rounds(5, 300));
    std::mt19937 random(3);
    std::size_t saved = 0;
    for (int i = 0; i < kills; ++i) {
        ASSERT_TRUE(saveJob(*job, path.toStdString()));
        QProcess child;
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert(jobVariable, path);
        environment.insert("QT_QPA_PLATFORM", "offscreen");
        // Whichever part of the tests this one is in, the child runs its own.
        environment.remove("GTEST_TOTAL_SHARDS");
        environment.remove("GTEST_SHARD_INDEX");
        child.setProcessEnvironment(environment);
        child.start(QApplication::applicationFilePath(),
                    {"--gtest_also_run_disabled_tests", "--gtest_filter=KillChild.*"});
        ASSERT_TRUE(child.waitForStarted());
        // Every other one is killed after its first save, however slow the machine is.
        const QByteArray until = i % 2 == 0 ? "ready" : "saved";
        QByteArray said;
        while (!said.contains(until)) {
            ASSERT_TRUE(child.waitForReadyRead(30000)) << "it never came up";
            said += child.readAllStandardOutput();
        }
        QTest::qWait(static_cast<int>(random() % 120));
        ::kill(static_cast<pid_t>(child.processId()), SIGKILL);
        ASSERT_TRUE(child.waitForFinished());
        const auto opened = openJob(path.toStdString(), library);
        ASSERT_TRUE(opened) << opened.problem().text();
        const auto there = (*opened)->scheme().pieces.size();
        EXPECT_EQ(there % 2, 0U) << "only whole saves are ever seen";
        saved += there;
        for (const auto& copy : app::Recovery::leftBehind()) {
            const auto kept = openJob(copy.file.toStdString(), library);
            EXPECT_TRUE(kept) << kept.problem().text();
            EXPECT_GE((*kept)->scheme().pieces.size(), there)
                << "the copy has all that the file has";
            app::Recovery::forget(copy);
        }
        {
            app::JobSession next(library);
            ASSERT_TRUE(next.openFile(path));
            EXPECT_TRUE(next.elsewhere().isEmpty()) << "a killed program keeps nothing";
            ASSERT_TRUE(next.saveTo(path));
        }
        EXPECT_EQ(QDir(folder.path()).entryList(QDir::Files | QDir::Hidden),
                  QStringList{"job.mezzet"})
            << "what a kill leaves is cleared by the next save";
    }
    EXPECT_GT(saved, 0U) << "it was killed in its work, not before it";
}
