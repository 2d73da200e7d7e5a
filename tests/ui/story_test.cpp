// The real window driven through a day's work: open, select, type on the tape, say lines, drag,
// undo, save, open again, print.
#include "app/look/style.h"
#include "app/measure/measure_screen.h"
#include "measure/text.h"
#include "ui/open_window.h"

#include <QApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QFileInfo>
#include <QLabel>
#include <QMessageBox>
#include <QProcess>
#include <QPushButton>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>

#include <gtest/gtest.h>

#include <csignal>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class Story : public test::OpenWindow {
protected:
    void say(const QString& line) {
        window->line()->edit()->setFocus();
        window->line()->edit()->clear();
        QTest::keyClicks(window->line()->edit(), line);
        QTest::keyClick(window->line()->edit(), Qt::Key_Return);
        settled();
    }
    ReadingCard* card(const char* rule) {
        for (auto* c : window->tape()->cards())
            if (session().readings()[c->reading()].rule->id == rule)
                return c;
        return nullptr;
    }
    void drag(QPoint from, QPoint to) {
        QTest::mousePress(board(), Qt::LeftButton, {}, from);
        move((from + to) / 2, Qt::LeftButton);
        move(to, Qt::LeftButton);
        QTest::mouseRelease(board(), Qt::LeftButton, {}, to);
        settled();
    }
};

} // namespace

TEST_F(Story, ADayAtTheBoard) {
    const auto before = jobText(*session().project());
    QTest::mouseClick(window->board(), Qt::LeftButton, {}, on("Coffee table"));
    settled();
    ASSERT_EQ(session().selected(), std::vector<int>{id("Coffee table")});

    // Type 16 over 8 on the tape.
    auto* gap = card("seat-to-table");
    ASSERT_NE(gap, nullptr);
    EXPECT_EQ(gap->figure()->text(), "8\"");
    gap->figure()->setFocus();
    gap->figure()->selectAll();
    QTest::keyClicks(gap->figure(), "16");
    QTest::keyClick(gap->figure(), Qt::Key_Return);
    settled();
    EXPECT_EQ(card("seat-to-table")->figure()->text(), "16\"");

    // Say it: the preview first, then Enter.
    window->line()->edit()->setFocus();
    QTest::keyClicks(window->line()->edit(), "coffee table 14 from sofa");
    settled();
    EXPECT_TRUE(window->line()->preview().contains("Moves Coffee table 2\""))
        << qPrintable(window->line()->preview());
    QTest::keyClick(window->line()->edit(), Qt::Key_Return);
    settled();
    EXPECT_EQ(card("seat-to-table")->figure()->text(), "14\"");

    // Drag the lamp; drag the sofa, and its table follows.
    const Vec2 lamp = pose("Floor lamp").at;
    drag(on("Floor lamp"), on("Floor lamp") + QPoint(30, 0));
    EXPECT_GT(pose("Floor lamp").at.x, lamp.x + 10);
    const double between = norm(pose("Coffee table").at - pose("Sofa").at);
    const Vec2 sofa = pose("Sofa").at;
    drag(on("Sofa"), on("Sofa") + QPoint(24, 0));
    EXPECT_GT(pose("Sofa").at.x, sofa.x + 10);
    EXPECT_NEAR(norm(pose("Coffee table").at - pose("Sofa").at), between, 1e-3);

    // Undo it all, and do it again.
    int steps = 0;
    while (session().canUndo()) {
        QTest::keyClick(window.get(), Qt::Key_Z, Qt::ControlModifier);
        ++steps;
        ASSERT_LT(steps, 10);
    }
    EXPECT_EQ(steps, 4);
    EXPECT_EQ(jobText(*session().project()), before);
    while (session().canRedo())
        session().redo();

    // Save, open again, print.
    QTemporaryDir dir;
    const auto path = dir.filePath("job.mezzet");
    ASSERT_TRUE(window->saveTo(path));
    EXPECT_FALSE(session().changed());
    const auto saved = jobText(*session().project());
    session().apply({"x", {RemovePiece{id("Sofa")}}, {}});
    ASSERT_TRUE(window->openPath(path));
    EXPECT_EQ(jobText(*session().project()), saved);
    EXPECT_TRUE(window->printTo(dir.filePath("plan.pdf"), "plan"));
    EXPECT_GT(QFileInfo(dir.filePath("plan.pdf")).size(), 10000);
}

TEST_F(Story, ARemedyIsOneClickAndUndone) {
    const auto swings = [&] {
        return std::any_of(
            session().readings().begin(), session().readings().end(),
            [&](const Reading& r) { return r.rule->id == "door-swing" && r.toMend(); });
    };
    session().select({id("Coat stand")});
    settled();
    auto* c = card("door-swing");
    ASSERT_NE(c, nullptr);
    ASSERT_FALSE(c->remedyButton()->isHidden());
    ASSERT_TRUE(swings());
    QTest::mouseClick(c->remedyButton(), Qt::LeftButton);
    settled();
    EXPECT_FALSE(swings());
    session().undo();
    EXPECT_TRUE(swings());
    // The same by key, with the first one shown.
    settled();
    const int before = session().toMend();
    const auto text = jobText(*session().project());
    QTest::keyClick(window.get(), Qt::Key_Return, Qt::ControlModifier);
    settled();
    EXPECT_NE(jobText(*session().project()), text);
    EXPECT_LE(session().toMend(), before);
}

TEST_F(Story, TheLineCompletesRecallsAndPointsAtFaults) {
    auto* edit = window->line()->edit();
    edit->setFocus();
    QTest::keyClicks(edit, "rem");
    EXPECT_TRUE(window->line()->choices()->isVisible());
    settled();
    EXPECT_TRUE(window->line()->preview().startsWith("Tab goes on: remove"))
        << "half a word is no mistake yet";
    QTest::keyClick(edit, Qt::Key_Tab);
    EXPECT_TRUE(edit->text().startsWith("rem")) << qPrintable(edit->text());
    edit->clear();
    say("stool at 10', 3'");
    say("stool against wall Q");
    EXPECT_EQ(edit->text(), "stool against wall Q") << "what is refused stays";
    EXPECT_TRUE(window->line()->preview().contains("no wall"));
    edit->clear();
    QTest::keyClick(edit, Qt::Key_Up);
    EXPECT_EQ(edit->text(), "stool at 10', 3'");
}

TEST_F(Story, FindsAPieceOrAddsOne) {
    auto* box = window->pieces()->box();
    box->setFocus();
    QTest::keyClicks(box, "sideb");
    QTest::keyClick(box, Qt::Key_Return);
    settled();
    EXPECT_EQ(session().selected(), std::vector<int>{id("Sideboard")});
    const auto count = session().project()->scheme().pieces.size();
    box->setFocus();
    QTest::keyClicks(box, "couch 60 x 30");
    QTest::keyClick(box, Qt::Key_Return);
    settled();
    ASSERT_EQ(session().project()->scheme().pieces.size(), count + 1);
    EXPECT_NEAR(session().project()->scheme().pieces.back().size.width.inInches(), 60, 1e-9);
}

TEST_F(Story, KeysNudgeTurnCopyLockAndRemove) {
    session().select({id("Floor lamp")});
    window->board()->setFocus();
    const Vec2 at = pose("Floor lamp").at;
    QTest::keyClick(window->board(), Qt::Key_Right);
    EXPECT_NEAR(pose("Floor lamp").at.x - at.x, 25.4, 1e-3);
    QTest::keyClick(window->board(), Qt::Key_Down, Qt::ShiftModifier);
    EXPECT_NEAR(pose("Floor lamp").at.y - at.y, 304.8, 1e-3);
    session().select({id("Coat stand")});
    QTest::keyClick(window.get(), Qt::Key_R, Qt::ControlModifier);
    EXPECT_NEAR(pose("Coat stand").turn.inDegrees(), 90, 1e-6);
    QTest::keyClick(window.get(), Qt::Key_D, Qt::ControlModifier);
    EXPECT_NE(session().project()->scheme().byName("Coat stand 2"), nullptr);
    QTest::keyClick(window.get(), Qt::Key_L, Qt::ControlModifier);
    EXPECT_TRUE(session().project()->scheme().byName("Coat stand 2")->locked);
    QTest::keyClick(window.get(), Qt::Key_Delete);
    EXPECT_EQ(session().project()->scheme().byName("Coat stand 2"), nullptr);
    QTest::keyClick(window.get(), Qt::Key_A, Qt::ControlModifier);
    EXPECT_EQ(static_cast<std::ptrdiff_t>(session().selected().size()),
              session().project()->scheme().standing().count());
}

TEST_F(Story, GoesFromSurfaceToSurfaceByTheKey) {
    for (int wall = 0; wall < 5; ++wall) {
        QTest::mouseClick(window->key(), Qt::LeftButton, {},
                          window->key()->buttonOf(onWall(wall)).center().toPoint());
        EXPECT_EQ(session().surface(), onWall(wall));
        EXPECT_FALSE(window->board()->grab().isNull());
    }
    QTest::mouseClick(window->key(), Qt::LeftButton, {},
                      window->key()->buttonOf(theCeiling()).center().toPoint());
    EXPECT_EQ(session().surface(), theCeiling());
    EXPECT_FALSE(window->board()->grab().isNull());
    QTest::keyClick(window.get(), Qt::Key_0, Qt::AltModifier);
    EXPECT_EQ(session().surface(), theFloor());
    QTest::keyClick(window.get(), Qt::Key_Up, Qt::AltModifier);
    EXPECT_EQ(session().surface(), theCeiling());
}

TEST_F(Story, AnOwnTapeMeasuresBetweenTwoThingsAndFollowsThem) {
    window->act("ownTape")->trigger();
    QTest::mouseClick(window->board(), Qt::LeftButton, {}, on("Sofa"));
    QTest::mouseClick(window->board(), Qt::LeftButton, {}, on("Coffee table"));
    ASSERT_EQ(window->board()->tapes().size(), 1U);
    EXPECT_NEAR(window->board()->measured(window->board()->tapes()[0]).apart.inInches(), 8, 1e-3);
    say("coffee table 20 from sofa");
    EXPECT_NEAR(window->board()->measured(window->board()->tapes()[0]).apart.inInches(), 20, 1e-3);
}

TEST_F(Story, UnitsAndThemesSwitchLiveWithoutChangingWhatWasMeasured) {
    const auto where = pose("Sofa");
    QTest::keyClick(window.get(), Qt::Key_U, Qt::ControlModifier);
    settled();
    EXPECT_TRUE(isMetric(session().project()->notation.units));
    EXPECT_EQ(pose("Sofa").at, where.at);
    session().select({id("Coffee table")});
    settled();
    EXPECT_EQ(card("seat-to-table")->figure()->text(), "20.3 cm");
    window->setNight(true);
    EXPECT_TRUE(look().night);
    EXPECT_FALSE(window->grab().isNull());
    window->setNight(false);
}

TEST_F(Story, SchemesShareTheRoomAndNotThePieces) {
    const auto were = session().project()->schemesHere().size();
    window->act("addScheme")->trigger();
    EXPECT_EQ(session().project()->schemesHere().size(), were + 1);
    say("remove sofa");
    EXPECT_EQ(session().project()->scheme().byName("Sofa"), nullptr);
    say("scheme 1");
    EXPECT_NE(session().project()->scheme().byName("Sofa"), nullptr);
}

TEST_F(Story, TheMeasureScreenDrawsAndPoints) {
    MeasureScreen dialog(MeasureScreen::example(), true);
    EXPECT_TRUE(dialog.said().contains("closes")) << qPrintable(dialog.said());
    dialog.editor()->setPlainText("room X\nwall A twelve");
    EXPECT_TRUE(dialog.said().startsWith("Line 2, column 8")) << qPrintable(dialog.said());
    EXPECT_FALSE(dialog.grab().isNull());
}

TEST_F(Story, ABadFileLeavesTheOpenJobAsItWas) {
    QTemporaryDir dir;
    QFile f(dir.filePath("bad.mezzet"));
    ASSERT_TRUE(f.open(QIODevice::WriteOnly));
    f.write("{\"format\": \"mezzet-job\", \"version\": 1,");
    f.close();
    const auto before = session().project();
    EXPECT_FALSE(window->openPath(f.fileName()));
    EXPECT_EQ(session().project(), before);
    EXPECT_TRUE(window->line()->preview().contains("damaged"))
        << qPrintable(window->line()->preview());
}

TEST_F(Story, WidgetsHaveNamesForAScreenReader) {
    for (QWidget* w : std::initializer_list<QWidget*>{
             window->board(), window->key(), window->pieces()->box(), window->pieces()->list(),
             window->line()->edit(), window->tape()})
        EXPECT_FALSE(w->accessibleName().isEmpty()) << qPrintable(w->objectName());
    session().select({id("Sofa")});
    EXPECT_TRUE(window->board()->accessibleDescription().contains("Sofa"));
    // Every act of the menu that is not a choice among several has a key or a phrase.
    EXPECT_FALSE(window->act("undo")->shortcut().isEmpty());
}

TEST(Recovery, WhatAKilledProgramHadUnsavedIsOffered) {
    // A copy under the number of a program that is long gone.
    const auto library = *loadLibrary(MEZZET_TEST_DATA);
    auto job =
        *newProject(library, "room Lost room\nwall A 10'\nwall B 10'\nwall C 10'\nwall D 10'");
    {
        JobSession session(library);
        session.open(job, {});
        ASSERT_TRUE(session.sayLine("stool in corner AB"));
        session.keepCopy();
        const auto own = Recovery::file();
        ASSERT_TRUE(QFile::exists(own)) << "the copy is written at a pause";
        // As a kill would leave it: the file stays and its program is gone.
        ASSERT_TRUE(QFile::copy(own, Recovery::folder() + "/999999999-1.mezzet"));
    }
    const auto left = Recovery::leftBehind();
    ASSERT_EQ(left.size(), 1U) << "a clean end takes its own copy away";
    MainWindow window(library);
    // However long the question takes to come up.
    QTimer looks;
    QObject::connect(&looks, &QTimer::timeout, [] {
        for (auto* w : QApplication::topLevelWidgets())
            if (auto* box = qobject_cast<QMessageBox*>(w);
                box != nullptr && box->isVisible() && box->objectName() == "recovery")
                box->defaultButton()->click();
    });
    looks.start(100);
    EXPECT_TRUE(window.offerRecovery());
    looks.stop();
    EXPECT_NE(window.session().project()->scheme().byName("Stool"), nullptr);
    EXPECT_TRUE(window.session().changed());
    EXPECT_TRUE(Recovery::leftBehind().empty());
}

int main(int argc, char** argv) {
    // Nothing of the user's own is read or written, nor of another of these programs at work.
    const QTemporaryDir own;
    for (const char* kept : {"XDG_DATA_HOME", "XDG_CONFIG_HOME", "XDG_CACHE_HOME"})
        qputenv(kept, own.path().toUtf8());
    QApplication application(argc, argv);
    QApplication::setApplicationName("mezzet-test");
    QApplication::setOrganizationName("mezzet-test");
    QApplication::setStyle("Fusion");
    QDir(Recovery::folder()).removeRecursively();
    sheets::loadFonts();
    useTheme(false);
    testing::InitGoogleTest(&argc, argv);
    return RUN_ALL_TESTS();
}
