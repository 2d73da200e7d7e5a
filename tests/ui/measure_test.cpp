// The measure screen, driven by hand: what is typed lights its wall, what is pointed at lights its
// line, a wall is clicked and typed, the slip is shown, the laser writes.
#include "app/measure/measure_screen.h"
#include "ui/open_window.h"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QProcess>
#include <QPushButton>
#include <QTemporaryDir>
#include <QTextBlock>

using namespace mezzet;
using namespace mezzet::app;
using namespace mezzet::test;

namespace {

const char* square = "room Den\nceiling 8'\nwall A 14'\n window 3' from left, 5' wide\nwall B 12'\n"
                     "wall C 14'\nwall D 12'\ndiagonal A to C 18' 5 1/4\"\ndiagonal B to D 18' 5 "
                     "1/4\"\n";

class Measure : public testing::Test {
protected:
    void open(const char* notes = square, ProjectPtr job = nullptr) {
        screen = std::make_unique<MeasureScreen>(notes, false, nullptr, std::move(job));
        screen->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(screen.get()));
        QApplication::setActiveWindow(screen.get());
        settle();
    }
    static void settle() {
        for (int i = 0; i < 15; ++i)
            QApplication::processEvents(QEventLoop::AllEvents, 5);
    }
    void caretOn(int line) {
        screen->editor()->setTextCursor(
            QTextCursor(screen->editor()->document()->findBlockByNumber(line - 1)));
    }
    QString line(int n) { return screen->editor()->document()->findBlockByNumber(n - 1).text(); }
    void point(QPointF at) {
        QMouseEvent e(QEvent::MouseMove, at, screen->plan()->mapToGlobal(at), Qt::NoButton,
                      Qt::NoButton, {});
        QApplication::sendEvent(screen->plan(), &e);
    }
    /// The room as the notes now make it.
    RoomPtr room() {
        auto r = roomFromNotes(screen->notes().toStdString());
        return r ? *r : nullptr;
    }
    /// Lines with a wash over their whole width.
    std::vector<int> washed() {
        std::vector<int> out;
        for (const auto& s : screen->editor()->extraSelections())
            if (s.format.hasProperty(QTextFormat::FullWidthSelection))
                out.push_back(s.cursor.blockNumber() + 1);
        return out;
    }

    std::unique_ptr<MeasureScreen> screen;
};

} // namespace

TEST_F(Measure, AnExampleIsTypedOver) {
    MeasureScreen fresh(MeasureScreen::example(), true);
    fresh.show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(&fresh));
    fresh.editor()->setFocus();
    QTest::keyClicks(fresh.editor(), "room Den");
    EXPECT_EQ(fresh.notes(), "room Den");
    // What is no example stays, and what is typed is put in.
    MeasureScreen kept(square, true);
    kept.show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(&kept));
    kept.editor()->setFocus();
    QTest::keyClicks(kept.editor(), "# ");
    EXPECT_EQ(kept.notes(), QString("# ") + square);
}

TEST_F(Measure, TheLineBeingTypedLightsItsWall) {
    open();
    caretOn(3);
    EXPECT_EQ(screen->plan()->lit(), 0);
    caretOn(4);
    EXPECT_EQ(screen->plan()->lit(), 0) << "its window is on wall A too";
    caretOn(6);
    EXPECT_EQ(screen->plan()->lit(), 2);
    caretOn(8);
    EXPECT_EQ(screen->plan()->lit(), -1) << "a diagonal is no wall";
}

TEST_F(Measure, TheWallPointedAtLightsItsLine) {
    open();
    point(screen->plan()->middleOfWall(1));
    EXPECT_EQ(screen->plan()->pointed(), 1);
    EXPECT_EQ(washed(), std::vector<int>{5});
    point(QPointF(screen->plan()->rect().center()));
    EXPECT_EQ(screen->plan()->pointed(), -1);
    EXPECT_TRUE(washed().empty());
}

TEST_F(Measure, AWallIsClickedAndItsRunTyped) {
    open();
    QTest::mouseClick(screen->plan(), Qt::LeftButton, {},
                      screen->plan()->middleOfWall(3).toPoint());
    ASSERT_TRUE(screen->plan()->field()->isVisible());
    EXPECT_EQ(screen->plan()->field()->text(), "12' 0\"");
    QTest::keyClicks(screen->plan()->field(), "11' 11 3/4\"");
    QTest::keyClick(screen->plan()->field(), Qt::Key_Return);
    EXPECT_EQ(line(7), "wall D 11' 11 3/4\"");
    EXPECT_NEAR(room()->walls[3].taped.inInches(), 143.75, 1e-9);
    EXPECT_FALSE(screen->plan()->field()->isVisible());
    // What is no length is a line about what stands on the wall.
    QTest::mouseClick(screen->plan(), Qt::LeftButton, {},
                      screen->plan()->middleOfWall(1).toPoint());
    QTest::keyClicks(screen->plan()->field(), "outlet 2' from left");
    QTest::keyClick(screen->plan()->field(), Qt::Key_Return);
    EXPECT_EQ(line(6), "  outlet 2' from left");
    EXPECT_EQ(room()->fixtures.size(), 1U);
}

TEST_F(Measure, WallsAreWalkedByKeys) {
    open();
    screen->plan()->setFocus();
    QTest::keyClick(screen->plan(), Qt::Key_Right);
    QTest::keyClick(screen->plan(), Qt::Key_Right);
    EXPECT_EQ(screen->plan()->pointed(), 1);
    QTest::keyClick(screen->plan(), Qt::Key_Return);
    EXPECT_TRUE(screen->plan()->field()->isVisible());
    QTest::keyClick(screen->plan()->field(), Qt::Key_Escape);
    EXPECT_FALSE(screen->plan()->field()->isVisible());
    EXPECT_TRUE(screen->isVisible()) << "Escape left the field, not the screen";
    QTest::keyClick(screen->plan(), Qt::Key_Left);
    QTest::keyClick(screen->plan(), Qt::Key_Left);
    EXPECT_EQ(screen->plan()->pointed(), 3);
}

TEST_F(Measure, ASlipIsShownAtItsLineAndInWords) {
    open();
    EXPECT_TRUE(screen->said().contains("closes")) << qPrintable(screen->said());
    caretOn(6);
    QString notes = square;
    screen->editor()->setPlainText(notes.replace("wall C 14'", "wall C 13'"));
    EXPECT_TRUE(screen->said().contains("a foot dropped")) << qPrintable(screen->said());
    const auto lines = washed();
    EXPECT_NE(std::find(lines.begin(), lines.end(), 6), lines.end());
    const auto fit = screen->findChild<QLabel*>("fit")->text();
    EXPECT_TRUE(fit.contains("Wall C was taped 13'")) << qPrintable(fit);
    EXPECT_FALSE(screen->grab().isNull());
}

TEST_F(Measure, HalfTypedNotesKeepTheRoomDrawn) {
    open();
    screen->editor()->setPlainText(QString(square) + "wall E tw");
    EXPECT_TRUE(screen->said().startsWith("Line 10")) << qPrintable(screen->said());
    EXPECT_FALSE(screen->findChild<QPushButton*>("takeNotes")->isEnabled());
    caretOn(3);
    EXPECT_EQ(screen->plan()->lit(), 0) << "the room as last read is still there";
}

TEST_F(Measure, ALineThatCantBeReadLeavesTheRestDrawn) {
    const std::string notes = std::string(square) + "window wibble\n";
    open(notes.c_str());
    EXPECT_TRUE(screen->said().startsWith("Line 10")) << qPrintable(screen->said());
    EXPECT_FALSE(screen->findChild<QPushButton*>("takeNotes")->isEnabled());
    caretOn(3);
    EXPECT_EQ(screen->plan()->lit(), 0) << "though the notes were never read whole";
}

TEST_F(Measure, WhatIsStillToMeasureIsListedAndWritten) {
    const auto library = *loadLibrary(MEZZET_TEST_DATA);
    const auto job = newProject(library, square);
    open(square, *job);
    auto* list = screen->missing();
    int sill = -1;
    for (int i = 0; i < list->count(); ++i)
        if (list->item(i)->text().contains("sill"))
            sill = i;
    ASSERT_GE(sill, 0);
    emit list->itemActivated(list->item(sill));
    EXPECT_EQ(line(4), " window 3' from left, 5' wide, sill ");
    QTest::keyClicks(screen->editor(), "32");
    EXPECT_NEAR(room()->openings[0].sill.inInches(), 32, 1e-9);
    for (int i = 0; i < list->count(); ++i)
        EXPECT_FALSE(list->item(i)->text().contains("sill"));
}

TEST_F(Measure, SeveralRoomsAreFollowedByTheCaret) {
    open("room Den\nwall A 14'\nwall B 12'\n door 2' from left, 30 wide, to Hall\nwall C 14'\nwall "
         "D "
         "12'\nroom Hall\nwall A 4'\nwall B 9'\nwall C 4'\nwall D 9'\n door 2' from left, 30 wide, "
         "to "
         "Den\n");
    caretOn(9);
    EXPECT_EQ(screen->plan()->lit(), 1);
    const auto facts = screen->findChild<QLabel*>("facts")->text();
    EXPECT_TRUE(facts.contains("36.0 sq ft")) << qPrintable(facts);
    caretOn(3);
    EXPECT_TRUE(screen->findChild<QLabel*>("facts")->text().contains("168.0 sq ft"));
    EXPECT_FALSE(screen->grab().isNull());
}

TEST_F(Measure, AReadingGoesWhereTheCaretStands) {
    open("room Den\nwall A \n");
    caretOn(2);
    auto c = screen->editor()->textCursor();
    c.movePosition(QTextCursor::EndOfBlock);
    screen->editor()->setTextCursor(c);
    screen->take({7, Length::millimetres(4571.6), "4571.6 mm", "2026-11-24T09:15:03"});
    EXPECT_EQ(line(2), "wall A 4571.6mm by laser  # laser 7, 09:15:03");
    // On a blank line the next wall is begun, and the caret goes on to the next line.
    c = screen->editor()->textCursor();
    c.movePosition(QTextCursor::End);
    screen->editor()->setTextCursor(c);
    screen->take({8, Length::millimetres(3000), "3000.0 mm", "2026-11-24T09:15:30"});
    EXPECT_EQ(line(3), "wall B 3000.0mm by laser  # laser 8, 09:15:30");
    screen->take({9, Length::millimetres(4570), "4570.0 mm", "2026-11-24T09:15:41"});
    EXPECT_EQ(line(4), "wall C 4570.0mm by laser  # laser 9, 09:15:41");
    ASSERT_NE(room(), nullptr);
    EXPECT_NEAR(room()->walls[1].taped.mm(), 3000, 1e-9);
    // In the middle of a line of its own it only writes the length.
    screen->editor()->setPlainText("wall A 12'\n window  from left, 4' wide\n");
    c = QTextCursor(screen->editor()->document()->findBlockByNumber(1));
    c.movePosition(QTextCursor::Right, QTextCursor::MoveAnchor, 8);
    screen->editor()->setTextCursor(c);
    screen->take({1, Length::millimetres(900), "900.0 mm", "2026-11-24T10:00:00"});
    EXPECT_EQ(line(2), " window 900.0mm from left, 4' wide  # laser 1, 10:00:00");
    EXPECT_NEAR(room()->openings[0].left.mm(), 900, 1e-9);
}

TEST_F(Measure, ARoomIsWalkedWithTheLaserThatShips) {
    QTemporaryDir dir;
    QFile notes(dir.filePath("den.tape"));
    ASSERT_TRUE(notes.open(QIODevice::WriteOnly));
    notes.write(square);
    notes.close();
    const auto socket = dir.filePath("laser");
    QProcess laser;
    laser.start(MEZZET_LASER, {"--socket", socket, "--walk", notes.fileName(), "--seed", "5",
                               "--slips", "0", "--every", "0.02"});
    ASSERT_TRUE(laser.waitForReadyRead(5000));
    open("room Den\n\n");
    auto c = screen->editor()->textCursor();
    c.movePosition(QTextCursor::End);
    screen->editor()->setTextCursor(c);
    const auto log = screen->laser()->logFile();
    QFile::remove(log);
    screen->laser()->listen(socket);
    for (int i = 0; i < 300 && screen->notes().count("by laser") < 4; ++i)
        QTest::qWait(10);
    screen->laser()->stop();
    laser.kill();
    laser.waitForFinished();
    EXPECT_GE(screen->notes().count("by laser"), 4) << qPrintable(screen->notes());
    const auto text = screen->notes();
    // The first four readings are the walls.
    const auto first = text.section("wall E", 0, 0);
    auto r = roomFromNotes(first.toStdString());
    ASSERT_TRUE(r) << r.problem().text() << qPrintable(text);
    EXPECT_NEAR((*r)->walls[0].taped.inInches(), 168, 0.4);
    EXPECT_TRUE((*r)->closed) << (*r)->closure.words;
    // And every raw line is kept.
    QFile kept(log);
    ASSERT_TRUE(kept.open(QIODevice::ReadOnly));
    const auto raw = QString::fromUtf8(kept.readAll());
    EXPECT_TRUE(raw.startsWith("reading 1 ")) << qPrintable(raw);
    EXPECT_GE(raw.count('\n'), 4);
}

TEST_F(Measure, WithNoLaserOnItSaysSo) {
    open();
    screen->laser()->listen("mezzet-no-such-laser");
    for (int i = 0; i < 100 && screen->findChild<QLabel*>("laserSays")->text().isEmpty(); ++i)
        QTest::qWait(10);
    EXPECT_TRUE(screen->findChild<QLabel*>("laserSays")->text().contains("start mezzet-laser"))
        << qPrintable(screen->findChild<QLabel*>("laserSays")->text());
    EXPECT_FALSE(screen->laser()->connected());
}

class Rooms : public OpenWindow {};

TEST_F(Rooms, TheBoxAtTheLeftGoesFromRoomToRoom) {
    auto* box = window->findChild<QComboBox*>("room");
    auto notes = session().project()->notes;
    EXPECT_FALSE(notes.empty());
    ASSERT_TRUE(session().apply(
        {"", {SetNotes{notes + "\nroom Loft\nwall A 5'\nwall B 4'\nwall C 5'\nwall D 4'\n"}}, {}}));
    settle();
    const int rooms = box->count();
    ASSERT_GE(rooms, 2);
    EXPECT_TRUE(box->isVisible());
    session().goTo(onWall(3));
    box->setCurrentIndex(rooms - 1);
    emit box->activated(rooms - 1);
    settle();
    EXPECT_EQ(session().project()->room->name, "Loft");
    EXPECT_EQ(session().surface(), theFloor());
    EXPECT_TRUE(session().project()->scheme().pieces.empty());
    session().undo();
    EXPECT_EQ(session().project()->room->name, "Supper room");
    session().sayLine("room loft");
    EXPECT_EQ(session().project()->room->name, "Loft");
    EXPECT_FALSE(window->grab().isNull());
}

TEST_F(Rooms, ThePlanIsWrittenAsDxfFromTheMenu) {
    QTemporaryDir dir;
    const auto path = dir.filePath("plan.dxf");
    EXPECT_TRUE(window->writeDxf(path));
    QFile f(path);
    ASSERT_TRUE(f.open(QIODevice::ReadOnly));
    EXPECT_TRUE(f.readAll().contains("PIECES-SEAT"));
    EXPECT_FALSE(window->writeDxf("/no/such/folder/plan.dxf"));
    EXPECT_NE(window->act("dxf"), nullptr);
    EXPECT_NE(window->act("print:measuring"), nullptr);
}
