// The hand on the board: sweeping, turning by the handle, panning, zooming, walking by keys.
#include "edit/landing.h"
#include "measure/text.h"
#include "ui/open_window.h"

#include <QApplication>
#include <QTest>
#include <QWheelEvent>

#include <QPushButton>

#include <gtest/gtest.h>

#include <set>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class HandOnBoard : public test::OpenWindow {};

} // namespace

TEST_F(HandOnBoard, SweepingSelectsWhatItHolds) {
    const QPoint a = board()->toScreen({3600, 700}).toPoint();
    const QPoint b = board()->toScreen({5600, 3600}).toPoint();
    QTest::mousePress(board(), Qt::LeftButton, {}, a);
    move((a + b) / 2, Qt::LeftButton);
    move(b, Qt::LeftButton);
    QTest::mouseRelease(board(), Qt::LeftButton, {}, b);
    EXPECT_TRUE(session().isSelected(id("Supper table")));
    EXPECT_TRUE(session().isSelected(id("Supper chair 1")));
    EXPECT_FALSE(session().isSelected(id("Sofa")));
}

TEST_F(HandOnBoard, CtrlClickAddsAndTakesAway) {
    QTest::mouseClick(board(), Qt::LeftButton, {}, on("Sofa"));
    QTest::mouseClick(board(), Qt::LeftButton, Qt::ControlModifier, on("Sideboard"));
    EXPECT_EQ(session().selected().size(), 2U);
    QTest::mouseClick(board(), Qt::LeftButton, Qt::ControlModifier, on("Sideboard"));
    EXPECT_EQ(session().selected(), std::vector<int>{id("Sofa")});
    QTest::mouseClick(board(), Qt::LeftButton, {}, QPoint(40, 40));
    EXPECT_TRUE(session().selected().empty());
}

TEST_F(HandOnBoard, TheHandleTurnsInStepsOfFiveAndSquareToAWall) {
    session().select({id("Coat stand")});
    const auto p = pose("Coat stand");
    const QPoint handle = (board()->toScreen(p.at + Vec2{0, 254}) + QPointF(0, 20)).toPoint();
    const auto turnedTo = [&](double degrees, Qt::KeyboardModifiers keys) {
        const Angle there = Angle::degrees(degrees + 90);
        const Vec2 to = p.at + Vec2{std::cos(there.inRadians()), std::sin(there.inRadians())} * 900;
        QTest::mousePress(board(), Qt::LeftButton, {}, handle);
        move(board()->toScreen(to).toPoint(), Qt::LeftButton, keys);
        QTest::mouseRelease(board(), Qt::LeftButton, keys, handle);
        const double out = pose("Coat stand").turn.inDegrees();
        session().undo();
        EXPECT_NEAR(pose("Coat stand").turn.inDegrees(), 0, 1e-6);
        return out;
    };
    EXPECT_NEAR(turnedTo(71, {}), 70, 1e-6);
    EXPECT_NEAR(turnedTo(71, Qt::ShiftModifier), 71, 1e-6);
    EXPECT_NEAR(turnedTo(88, Qt::ShiftModifier), 88, 1e-6);
    // Near a wall's own direction it comes square to that, were the wall itself not quite square.
    const double square = turnedTo(88, {});
    const auto& walls = session().scene()->room->walls;
    EXPECT_TRUE(std::any_of(walls.begin(), walls.end(), [&](const Wall& w) {
        return std::abs(std::remainder(square - w.direction().inDegrees(), 90)) < 1e-6;
    }));
    EXPECT_NEAR(square, 90, 1);
}

TEST_F(HandOnBoard, AWallStopsADragAndAltTakesItThrough) {
    const auto reaches = [&] {
        const Placed* there = session().scene()->inPlan(id("Coat stand"));
        return throughWall(*session().scene()->room, there->shape).by;
    };
    const auto before = pose("Coat stand");
    for (const bool alt : {false, true}) {
        const Qt::KeyboardModifiers keys = alt ? Qt::AltModifier : Qt::NoModifier;
        QTest::mousePress(board(), Qt::LeftButton, {}, on("Coat stand"));
        move(on("Coat stand") + QPoint(0, 8), Qt::LeftButton, keys);
        const QPoint beyond = board()->toScreen({-4000, -4000}).toPoint();
        move(beyond, Qt::LeftButton, keys);
        QTest::mouseRelease(board(), Qt::LeftButton, keys, beyond);
        EXPECT_NE(pose("Coat stand").at, before.at);
        if (alt)
            EXPECT_GT(reaches(), 100);
        else
            EXPECT_LT(reaches(), 0.6);
        session().undo();
        EXPECT_EQ(pose("Coat stand").at, before.at);
    }
}

TEST_F(HandOnBoard, EscapeInTheMiddleOfADragPutsEverythingBack) {
    const auto before = pose("Sofa");
    QTest::mousePress(board(), Qt::LeftButton, {}, on("Sofa"));
    move(on("Sofa") + QPoint(30, 30), Qt::LeftButton);
    EXPECT_NE(pose("Sofa").at, before.at) << "it is shown as it would be";
    QTest::keyClick(board(), Qt::Key_Escape);
    EXPECT_EQ(pose("Sofa").at, before.at);
    QTest::mouseRelease(board(), Qt::LeftButton, {}, on("Sofa"));
    EXPECT_FALSE(session().canUndo());
}

TEST_F(HandOnBoard, ZoomKeepsThePlaceUnderThePointer) {
    const QPointF at(500, 300);
    const Vec2 under = board()->toFloor(at);
    for (const int turn : {120, 120, -360, 240}) {
        QWheelEvent e(at, board()->mapToGlobal(at), {}, {0, turn}, Qt::NoButton, {},
                      Qt::NoScrollPhase, false);
        QApplication::sendEvent(board(), &e);
        EXPECT_NEAR(norm(board()->toFloor(at) - under), 0, 1e-6);
    }
    for (int i = 0; i < 200; ++i)
        board()->zoomIn();
    EXPECT_LE(board()->pixelsPerMm(), 4.0);
    for (int i = 0; i < 400; ++i)
        board()->zoomOut();
    EXPECT_GE(board()->pixelsPerMm(), 0.004);
    board()->zoomToFit();
    EXPECT_TRUE(board()->rect().contains(on("Floor plant")));
}

TEST_F(HandOnBoard, PansWithTheMiddleButtonAndZoomsToTheSelection) {
    const Vec2 before = board()->toFloor({400, 300});
    QTest::mousePress(board(), Qt::MiddleButton, {}, QPoint(400, 300));
    move({450, 330}, Qt::MiddleButton);
    QTest::mouseRelease(board(), Qt::MiddleButton, {}, QPoint(450, 330));
    EXPECT_NEAR(norm(board()->toFloor({450, 330}) - before), 0, 1e-6);
    session().select({id("Coat stand")});
    const double scale = board()->pixelsPerMm();
    board()->zoomToSelection();
    EXPECT_GT(board()->pixelsPerMm(), scale);
}

TEST_F(HandOnBoard, TabWalksThePiecesAndF8WhatIsToMend) {
    board()->setFocus();
    session().select({});
    QTest::keyClick(board(), Qt::Key_Tab);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Sofa")});
    QTest::keyClick(board(), Qt::Key_Tab);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Coffee table")});
    QTest::keyClick(board(), Qt::Key_Backtab);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Sofa")});
    session().select({});
    std::vector<int> seen;
    for (int i = 0; i < 4; ++i) {
        QTest::keyClick(window.get(), Qt::Key_F8);
        ASSERT_EQ(session().selected().size(), 1U);
        const int now = session().selected().front();
        EXPECT_TRUE(std::any_of(session().readings().begin(), session().readings().end(),
                                [&](const Reading& r) { return r.piece == now && r.toMend(); }));
        seen.push_back(now);
    }
    EXPECT_GT(std::set<int>(seen.begin(), seen.end()).size(), 2U);
}

TEST_F(HandOnBoard, ATieIsLetGoByItsChip) {
    session().select({id("Coffee table")});
    settled();
    const auto chips = window->tape()->findChildren<QPushButton*>("tie");
    ASSERT_EQ(chips.size(), 3);
    const auto at = pose("Coffee table").at;
    QTest::mouseClick(chips.front(), Qt::LeftButton);
    settled();
    EXPECT_EQ(session().project()->scheme().byName("Coffee table")->ties.size(), 2U);
    EXPECT_NEAR(norm(pose("Coffee table").at - at), 0, 1e-6) << "and it stays where it is";
}

TEST_F(HandOnBoard, EverySizeOfWindowPaints) {
    for (const QSize size :
         {QSize(1280, 800), QSize(1920, 1080), QSize(3840, 2160), QSize(1024, 640)}) {
        window->resize(size);
        settled();
        EXPECT_FALSE(window->grab().isNull());
        EXPECT_TRUE(board()->rect().contains(on("Sofa"))) << size.width();
    }
}

TEST_F(HandOnBoard, ShiftKeepsTheTiesAndCtrlDropsThemWhileDragging) {
    const auto dragWith = [&](const char* name, QPoint by, Qt::KeyboardModifiers keys) {
        const QPoint from = on(name);
        session().select({id(name)});
        QTest::mousePress(board(), Qt::LeftButton, {}, from);
        move(from + by / 2, Qt::LeftButton, keys);
        move(from + by, Qt::LeftButton, keys);
        QTest::mouseRelease(board(), Qt::LeftButton, keys, from + by);
        settled();
    };
    const auto before = pose("Sideboard");
    const auto ties = session().project()->scheme().byName("Sideboard")->ties;
    dragWith("Sideboard", {-40, 30}, Qt::ShiftModifier);
    EXPECT_NEAR(norm(pose("Sideboard").at - before.at), 0, 1e-6) << "both coordinates are tied";
    EXPECT_EQ(session().project()->scheme().byName("Sideboard")->ties, ties);
    dragWith("Sideboard", {-40, 30}, Qt::ControlModifier);
    EXPECT_GT(norm(pose("Sideboard").at - before.at), 100);
    EXPECT_LT(session().project()->scheme().byName("Sideboard")->ties.size(), ties.size() + 1);
    session().undo();
    session().undo();
    EXPECT_EQ(session().project()->scheme().byName("Sideboard")->ties, ties);
}

TEST_F(HandOnBoard, SeveralPiecesAreDraggedAsOne) {
    session().select({id("Supper table"), id("Coat stand")});
    const auto table = pose("Supper table").at;
    const auto stand = pose("Coat stand").at;
    const QPoint from = on("Supper table");
    QTest::mousePress(board(), Qt::LeftButton, {}, from);
    move(from + QPoint(-15, 0), Qt::LeftButton);
    move(from + QPoint(-30, 0), Qt::LeftButton);
    QTest::mouseRelease(board(), Qt::LeftButton, {}, from + QPoint(-30, 0));
    const Vec2 a = pose("Supper table").at - table;
    const Vec2 b = pose("Coat stand").at - stand;
    EXPECT_LT(a.x, -100);
    // The table's ties run square to its slightly slanted wall, so a hair may differ.
    EXPECT_NEAR(norm(a - b), 0, 1);
    session().undo();
    EXPECT_NEAR(norm(pose("Coat stand").at - stand), 0, 1e-6) << "one act, one undo";
    EXPECT_NEAR(norm(pose("Supper table").at - table), 0, 1e-6);
}
