// Work beside the window: what it comes to, what it throws, what is dropped; the history of a job,
// and how each scheme is looked at.
#include "app/session/job_session.h"
#include "app/session/long_work.h"

#include <QElapsedTimer>
#include <QFile>
#include <QPushButton>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>

#include <stdexcept>
#include <thread>

using namespace mezzet;
using namespace mezzet::app;

namespace {

const Library& kitAndRules() {
    static const Library lib = *loadLibrary(MEZZET_TEST_DATA);
    return lib;
}

void waitUntil(const std::function<bool()>& so) {
    ASSERT_TRUE(QTest::qWaitFor(so, 20000));
}

/// Works until it is stopped.
int untilStopped(Progress& p) {
    while (!p.stop)
        std::this_thread::sleep_for(std::chrono::milliseconds(2));
    return 1;
}

std::unique_ptr<JobSession> sessionWith(const std::vector<const char*>& lines) {
    auto out = std::make_unique<JobSession>(kitAndRules());
    out->open(*newProject(kitAndRules(), "wall A 20'\nwall B 15'\nwall C 20'\nwall D 15'"), {});
    for (const char* line : lines)
        EXPECT_TRUE(out->sayLine(line)) << line;
    return out;
}

} // namespace

TEST(Runner, BringsAnswersBackInTheirOrder) {
    Runner runner;
    std::vector<int> came;
    const auto here = std::this_thread::get_id();
    for (int i = 0; i < 5; ++i)
        runner.run([i](Progress&) { return i * i; },
                   [&](int v) {
                       EXPECT_EQ(std::this_thread::get_id(), here);
                       came.push_back(v);
                   });
    EXPECT_TRUE(came.empty()) << "not before the window is at leisure";
    waitUntil([&] { return came.size() == 5; });
    EXPECT_EQ(came, (std::vector<int>{0, 1, 4, 9, 16}));
    EXPECT_FALSE(runner.busy());
}

TEST(Runner, TellsWhatWorkThrows) {
    Runner runner;
    QString told;
    bool done = false;
    runner.run([](Progress&) -> int { throw std::runtime_error("out of rope"); },
               [&](int) { done = true; }, [&](const QString& words) { told = words; });
    waitUntil([&] { return !told.isEmpty(); });
    EXPECT_EQ(told, "out of rope");
    EXPECT_FALSE(done);
    // The next piece of work is done all the same.
    int next = 0;
    runner.run([](Progress&) { return 7; }, [&](int v) { next = v; });
    waitUntil([&] { return next == 7; });
}

TEST(Runner, WhatIsDroppedNeverComes) {
    Runner runner;
    int came = 0;
    auto first = runner.run(untilStopped, [&](int v) { came += v; });
    EXPECT_TRUE(runner.runs(first));
    runner.drop(first);
    EXPECT_EQ(first, nullptr);
    bool last = false;
    runner.run([](Progress&) { return 0; }, [&](int) { last = true; });
    waitUntil([&] { return last; });
    EXPECT_EQ(came, 0);
}

TEST(Runner, LeavesWhatDoesNotListen) {
    const auto let = std::make_shared<std::atomic<bool>>(false);
    {
        Runner runner;
        runner.run(
            [let](Progress&) {
                while (!*let)
                    std::this_thread::sleep_for(std::chrono::milliseconds(2));
                return 0;
            },
            [](int) { FAIL() << "nobody is there to be told"; });
        QTest::qWait(20);
    }
    EXPECT_TRUE(Runner::someGoesOn()) << "it is not waited for";
    *let = true;
}

TEST(Runner, WaitsForAnAnswerWhileTheWindowIsPainted) {
    Runner runner;
    int ticks = 0;
    QTimer timer;
    QObject::connect(&timer, &QTimer::timeout, [&] { ++ticks; });
    timer.start(5);
    const auto answer = runner.waitFor([](Progress&) {
        std::this_thread::sleep_for(std::chrono::milliseconds(120));
        return 42;
    });
    EXPECT_EQ(answer, 42);
    EXPECT_GT(ticks, 3);
    EXPECT_FALSE(runner.waitFor([](Progress&) -> int { throw 3; }));
}

TEST(LongWork, ShowsHowFarItIsAndItsStopEndsIt) {
    LongWork work;
    bool done = false;
    work.start(
        "Counting",
        [](Watch& w) {
            w.share = 0.5;
            untilStopped(w);
        },
        [&] { done = true; });
    EXPECT_TRUE(work.running());
    work.findChild<QPushButton*>("stopWork")->click();
    waitUntil([&] { return done; });
    EXPECT_FALSE(work.running());
    QString fault;
    QObject::connect(&work, &LongWork::failed, [&](const QString& words) { fault = words; });
    work.start(
        "Failing", [](Watch&) { throw std::runtime_error("no chalk"); }, [] { FAIL(); });
    waitUntil([&] { return !fault.isEmpty(); });
    EXPECT_EQ(fault, "no chalk");
}

TEST(Leaving, IsQuickWhileThingsAreMended) {
    std::vector<std::string> said;
    for (int i = 0; i < 24; ++i)
        said.push_back("sofa called S" + std::to_string(i) + " at " +
                       std::to_string(3 + (i * 7) % 14) + "', " + std::to_string(3 + (i * 5) % 10) +
                       "'" + " anyway");
    std::vector<const char*> lines;
    for (const auto& l : said)
        lines.push_back(l.c_str());
    auto session = sessionWith(lines);
    ASSERT_TRUE(session->sayLine("mend all"));
    EXPECT_TRUE(session->findingRemedies());
    QTest::qWait(80);
    QElapsedTimer clock;
    clock.start();
    session.reset();
    EXPECT_LT(clock.elapsed(), 20000) << "minutes of mending are not waited for";
}

TEST(History, ARunOfNudgesIsOneStepBack) {
    auto session = sessionWith({"sofa at 8', 8'", "armchair at 3', 3'"});
    const int sofa = session->project()->scheme().byName("Sofa")->id;
    const auto at = [&] { return session->scene()->byId(sofa)->pose.at; };
    const Vec2 before = at();
    for (int i = 0; i < 5; ++i)
        session->apply(
            drag(*session->project(), *session->scene(), {sofa}, {10, 0}, DragTies::revalue).edit,
            "nudge 1");
    EXPECT_NEAR(at().x - before.x, 50, 1e-9);
    session->undo();
    EXPECT_NEAR(at().x, before.x, 1e-9);
    session->redo();
    EXPECT_NEAR(at().x - before.x, 50, 1e-9);
    // Of other pieces it is another step.
    session->apply(
        drag(*session->project(), *session->scene(), {sofa}, {10, 0}, DragTies::revalue).edit,
        "nudge 2");
    session->undo();
    EXPECT_NEAR(at().x - before.x, 50, 1e-9);
}

TEST(History, UndoneToWhatWasSavedIsSavedAndNotPastIt) {
    QTemporaryDir dir;
    auto session = sessionWith({"sofa at 8', 8'"});
    ASSERT_TRUE(session->saveTo(dir.filePath("a.mezzet")));
    EXPECT_FALSE(session->changed());
    session->sayLine("armchair at 3', 3'");
    EXPECT_TRUE(session->changed());
    session->undo();
    EXPECT_FALSE(session->changed());
    EXPECT_FALSE(QFile::exists(Recovery::file()));
    session->undo();
    EXPECT_TRUE(session->changed()) << "the file has the sofa";
    session->redo();
    EXPECT_FALSE(session->changed());
}

TEST(ViewStates, BelongToTheirScheme) {
    auto session = sessionWith({"sofa at 8', 8'", "armchair at 3', 3'"});
    const int chair = session->project()->scheme().byName("Armchair")->id;
    session->select({chair});
    session->addTape({{{}, {0, 0}}, {{}, {100, 0}}});
    session->goTo(onWall(1));
    session->sayLine("scheme empty");
    EXPECT_TRUE(session->selected().empty());
    EXPECT_TRUE(session->tapes().empty());
    EXPECT_EQ(session->surface(), onWall(1)) << "of one room they are seen from one side";
    session->sayLine("stool at 5', 5'");
    session->sayLine("scheme 1");
    EXPECT_EQ(session->selected(), std::vector<int>{chair});
    EXPECT_EQ(session->tapes().size(), 1U);
    session->sayLine("scheme 2");
    session->sayLine("scheme remove");
    EXPECT_TRUE(session->selected().empty()) << "schemes are numbered anew";
}

TEST(Recovery, IsWrittenBesideTheWindowAndGoesWithWhatIsSaved) {
    auto session = sessionWith({"sofa at 8', 8'"});
    // Left alone for a moment, what is unsaved is on the disk.
    waitUntil([] { return QFile::exists(Recovery::file()); });
    const auto copy = openJob(Recovery::file().toStdString(), kitAndRules());
    ASSERT_TRUE(copy);
    EXPECT_NE((*copy)->scheme().byName("Sofa"), nullptr);
    QTemporaryDir dir;
    ASSERT_TRUE(session->saveTo(dir.filePath("a.mezzet")));
    EXPECT_FALSE(QFile::exists(Recovery::file()));
    // A copy under way when it is no more wanted does not come to stay.
    session->sayLine("armchair at 3', 3'");
    QTest::qWait(2050);
    session->undo();
    QTest::qWait(300);
    EXPECT_FALSE(QFile::exists(Recovery::file()));
}
