// The open job by itself: trials, undo, selection, copies for safety.
#include "app/session/job_session.h"
#include "measure/text.h"

#include <QFile>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class Session : public testing::Test {
protected:
    Session() : session(*loadLibrary(MEZZET_TEST_DATA)) {
        auto job = newProject(session.library(), "wall A 20'\nwall B 15'\nwall C 20'\nwall D 15'");
        session.open(*job, {});
        EXPECT_TRUE(session.sayLine("sofa 84 x 36 against wall A, centred on wall A"));
        EXPECT_TRUE(session.sayLine("coffee table 8 from sofa, centred on sofa"));
    }
    Edit moved(double inches) {
        return drag(*session.settledProject(), *session.settledScene(),
                    {session.settledProject()->scheme().byName("Sofa")->id}, {inches * 25.4, 0},
                    DragTies::revalue)
            .edit;
    }
    double sofaX() { return session.scene()->floor.placed[0].pose.at.x / 25.4; }

    JobSession session;
};

} // namespace

TEST_F(Session, ATrialIsShownAndNotKept) {
    const double x = sofaX();
    QSignalSpy changed(&session, &JobSession::jobChanged);
    ASSERT_TRUE(session.tryOut(moved(12)));
    EXPECT_NEAR(sofaX(), x + 12, 1e-6);
    EXPECT_TRUE(session.inTrial());
    session.endTrial();
    EXPECT_NEAR(sofaX(), x, 1e-6);
    EXPECT_EQ(changed.count(), 2);
    EXPECT_EQ(session.undoWords(), "add Coffee table") << "a trial is nothing to undo";
}

TEST_F(Session, ReadingsGoWithTheTrial) {
    const auto gap = [&] {
        for (const auto& r : session.readings())
            if (r.rule->id == "seat-to-table")
                return r.value.value / 25.4;
        return -1.0;
    };
    EXPECT_NEAR(gap(), 8, 1e-6);
    const auto said = readLine("coffee table 15 from sofa", *session.project());
    ASSERT_TRUE(session.tryOut(said->edit));
    EXPECT_NEAR(gap(), 15, 1e-6);
    session.endTrial();
    EXPECT_NEAR(gap(), 8, 1e-6);
}

TEST_F(Session, RemediesAreFoundOnceAndForgottenWithTheJob) {
    std::size_t i = 0;
    while (!session.readings()[i].toMend())
        ++i;
    EXPECT_FALSE(session.remedyKnown(i));
    EXPECT_TRUE(session.remedyOf(i));
    EXPECT_TRUE(session.remedyKnown(i));
    session.sayLine("stool in corner CD");
    EXPECT_FALSE(session.remedyKnown(i));
}

TEST_F(Session, UndoAndRedoGoAllTheWayAndBack) {
    const auto full = jobText(*session.project());
    while (session.canUndo())
        session.undo();
    EXPECT_TRUE(session.project()->scheme().pieces.empty());
    while (session.canRedo())
        session.redo();
    EXPECT_EQ(jobText(*session.project()), full);
    session.undo();
    session.redo();
    session.undo();
    EXPECT_EQ(session.project()->scheme().pieces.size(), 1U);
    session.redo();
    session.redo(); // one too many does nothing
    EXPECT_EQ(jobText(*session.project()), full);
}

TEST_F(Session, HundredsOfStepsAreUndone) {
    for (int i = 0; i < 300; ++i)
        session.apply(moved(i % 2 == 0 ? 1 : -1));
    for (int i = 0; i < 300; ++i)
        session.undo();
    EXPECT_NEAR(sofaX(), 120, 1e-6);
}

TEST_F(Session, ARefusedEditChangesNothingAndIsTold) {
    QSignalSpy told(&session, &JobSession::told);
    const auto before = session.project();
    EXPECT_FALSE(session.sayLine("sofa 8 behind coffee table"));
    EXPECT_EQ(session.project(), before);
    ASSERT_EQ(told.count(), 1);
    EXPECT_TRUE(told.first().at(0).toString().contains("loop"));
    EXPECT_TRUE(told.first().at(1).toBool());
}

TEST_F(Session, WhatIsAddedIsSelectedAndWhatIsGoneIsNot) {
    session.sayLine("stool in corner CD");
    const int stool = session.project()->scheme().byName("Stool")->id;
    EXPECT_EQ(session.selected(), std::vector<int>{stool});
    session.sayLine("remove stool");
    EXPECT_TRUE(session.selected().empty());
    session.undo();
    EXPECT_TRUE(session.selected().empty());
}

TEST_F(Session, WorstVerdictsAreThePiecesOwn) {
    const auto& s = session.project()->scheme();
    EXPECT_EQ(session.verdictOf(s.byName("Coffee table")->id), Verdict::tight);
    session.sayLine("trunk at 10', 1' 6\"");
    EXPECT_EQ(session.verdictOf(session.project()->scheme().byName("Trunk")->id), Verdict::clash);
}

TEST_F(Session, SurfacesThatAreGoneAreLeft) {
    session.goTo(onWall(3));
    EXPECT_EQ(session.surface(), onWall(3));
    session.goTo(onWall(9));
    EXPECT_EQ(session.surface(), onWall(3));
    session.apply({"x", {SetNotes{"wall A 5'\nwall B 5'\nwall C 5'"}}, {}});
    EXPECT_EQ(session.surface(), theFloor());
}

TEST_F(Session, ACopyIsKeptOnlyWhileThereIsSomethingUnsaved) {
    session.keepCopy();
    EXPECT_TRUE(QFile::exists(Recovery::file()));
    const auto copy = openJob(Recovery::file().toStdString(), session.library());
    ASSERT_TRUE(copy);
    EXPECT_EQ(jobText(**copy), jobText(*session.project()));
    QTemporaryDir dir;
    ASSERT_TRUE(session.saveTo(dir.filePath("a.mezzet")));
    EXPECT_FALSE(QFile::exists(Recovery::file())) << "saved work needs no copy";
    session.keepCopy();
    EXPECT_FALSE(QFile::exists(Recovery::file()));
}

TEST_F(Session, SavingWhereItCantIsToldAndTheWorkStaysUnsaved) {
    QSignalSpy told(&session, &JobSession::told);
    EXPECT_FALSE(session.saveTo("/no such folder/a.mezzet"));
    EXPECT_TRUE(session.changed());
    EXPECT_TRUE(told.last().at(1).toBool());
}

TEST_F(Session, ToMendIsCountedForEveryScheme) {
    const int here = session.toMend();
    EXPECT_GT(here, 0);
    session.sayLine("scheme new");
    session.sayLine("coffee table 15 from sofa");
    EXPECT_EQ(session.toMend(), here - 1);
    EXPECT_EQ(session.toMendIn(0), here);
    EXPECT_EQ(session.toMendIn(1), here - 1);
}

TEST_F(Session, UndoingToWhatWasSavedIsNothingUnsaved) {
    QTemporaryDir folder;
    ASSERT_TRUE(session.saveTo(folder.filePath("job.mezzet")));
    ASSERT_TRUE(session.sayLine("stool"));
    ASSERT_TRUE(session.sayLine("armchair"));
    EXPECT_TRUE(session.changed());
    session.undo();
    EXPECT_TRUE(session.changed());
    session.undo();
    EXPECT_FALSE(session.changed());
    session.redo();
    EXPECT_TRUE(session.changed());
    session.undo();
    session.undo();
    EXPECT_TRUE(session.changed()) << "before what was saved is another job";
    session.leave();
}

TEST_F(Session, EachSchemeHasItsOwnSelection) {
    session.select({});
    ASSERT_TRUE(session.apply({"another", {AddScheme{"Two", false}}, {}}));
    ASSERT_TRUE(session.sayLine("stool at 3', 3'"));
    const int stool = session.project()->scheme().byName("Stool")->id;
    session.select({stool});
    const auto two = session.project()->active;
    ASSERT_TRUE(session.apply({"go", {SwitchScheme{two == 0 ? 1U : 0U}}, {}}));
    // The piece of the same number here is the sofa, which nobody selected.
    EXPECT_NE(session.project()->scheme().byId(stool), nullptr);
    EXPECT_TRUE(session.selected().empty());
    ASSERT_TRUE(session.apply({"back", {SwitchScheme{two}}, {}}));
    EXPECT_EQ(session.selected(), std::vector<int>{stool});
    session.leave();
}

TEST_F(Session, WhatWasSaidToMendIsNotLostByClickingElsewhere) {
    const auto gap = [&] {
        for (const auto& r : session.readings())
            if (r.rule->id == "seat-to-table")
                return r.toMend();
        return false;
    };
    ASSERT_TRUE(gap());
    ASSERT_TRUE(session.sayLine("mend coffee table"));
    // Another piece is clicked, and the job changes meanwhile.
    session.findRemedies({0});
    ASSERT_TRUE(session.apply({"inches", {SetNotation{session.project()->notation}}, {}}));
    for (int i = 0; i < 2000 && session.findingRemedies(); ++i)
        QTest::qWait(5);
    EXPECT_FALSE(gap()) << "it was mended all the same";
    session.leave();
}

TEST_F(Session, WhatIsSaidToBeChosenIsChosen) {
    session.sayLine("stool in corner CD");
    EXPECT_TRUE(session.sayLine("select the coffee table"));
    const int table = session.settledProject()->scheme().byName("Coffee table")->id;
    EXPECT_EQ(session.selected(), std::vector<int>{table});
    QSignalSpy asked(&session, &JobSession::asked);
    EXPECT_TRUE(session.sayLine("zoom in on the sofa"));
    EXPECT_EQ(session.selected(),
              std::vector{session.settledProject()->scheme().byName("Sofa")->id});
    ASSERT_EQ(asked.count(), 1);
    EXPECT_EQ(asked.front().front().toString(), "fitSelection");
}

TEST_F(Session, ALittleMoreSaysTheChangeBeforeItEachTime) {
    const double x = sofaX();
    EXPECT_TRUE(session.sayLine("move sofa 6 toward wall B"));
    EXPECT_TRUE(session.sayLine("a little more"));
    EXPECT_TRUE(session.sayLine("a bit more"));
    EXPECT_NEAR(sofaX() - x, 18, 0.01);
}
