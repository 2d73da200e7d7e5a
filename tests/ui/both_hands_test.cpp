// Both hands: squares that size, name and sizes typed, the menu of a piece, cut, copy and paste;
// and the line that answers, goes back and says again.
#include "app/dialogs/piece_dialog.h"
#include "ui/open_window.h"

#include <QApplication>
#include <QClipboard>
#include <QDragEnterEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QTimer>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class BothHands : public test::OpenWindow {
protected:
    const Piece& piece(const char* name) { return *session().project()->scheme().byName(name); }
    QPoint corner(const char* name, double right, double front) {
        const Piece& p = piece(name);
        return board()
            ->toScreen(
                pose(name).toRoom({right * p.size.width.mm() / 2, front * p.size.depth.mm() / 2}))
            .toPoint();
    }
    void dragFrom(QPoint from, Vec2 by, Qt::KeyboardModifiers keys = {}) {
        QTest::mousePress(board(), Qt::LeftButton, keys, from);
        const double scale = board()->pixelsPerMm();
        const QPoint to = from + QPointF(by.x * scale, by.y * scale).toPoint();
        move((from + to) / 2, Qt::LeftButton, keys);
        move(to, Qt::LeftButton, keys);
        QTest::mouseRelease(board(), Qt::LeftButton, keys, to);
    }
    void type(const QString& line) {
        auto* edit = window->line()->edit();
        edit->setFocus();
        edit->clear();
        QTest::keyClicks(edit, line);
        window->line()->choices()->hide();
        QTest::keyClick(edit, Qt::Key_Return);
        for (int i = 0; i < 4000 && session().findingRemedies(); ++i)
            QTest::qWait(5);
        settle();
    }
};

} // namespace

TEST_F(BothHands, ASquareSizesAndTheCornerAcrossStays) {
    ASSERT_TRUE(session().sayLine("trunk 20 x 20 x 20 called Box at 8' 6\", 9'"));
    session().select({id("Box")});
    const Vec2 across = pose("Box").toRoom({-254, -254});
    dragFrom(corner("Box", 1, 1), {6 * 25.4 + 2, 3 * 25.4 - 2});
    EXPECT_NEAR(piece("Box").size.width.inInches(), 26, 1e-6) << "it stops at whole inches";
    EXPECT_NEAR(piece("Box").size.depth.inInches(), 23, 1e-6);
    const Size size = piece("Box").size;
    const Vec2 now = pose("Box").toRoom({-size.width.mm() / 2, -size.depth.mm() / 2});
    EXPECT_NEAR(norm(now - across), 0, 0.01);
    session().undo();
    EXPECT_NEAR(piece("Box").size.width.inInches(), 20, 1e-6);
}

TEST_F(BothHands, ASizeInStockHoldsTheHand) {
    ASSERT_TRUE(session().sayLine("rug 94 x 58 called Ground at 8' 6\", 9' anyway"));
    session().select({id("Ground")});
    dragFrom(corner("Ground", 1, 1), {3 * 25.4, 1 * 25.4});
    EXPECT_NEAR(piece("Ground").size.width.inInches(), 96, 1e-6);
    EXPECT_NEAR(piece("Ground").size.depth.inInches(), 60, 1e-6) << "5 by 8 feet";
    // With Shift it goes by the tape's own division.
    dragFrom(corner("Ground", 1, 1), {1 * 25.4, 0}, Qt::ShiftModifier);
    EXPECT_GT(piece("Ground").size.width.inInches(), 96.2);
}

TEST_F(BothHands, WithCtrlItGrowsFromItsMiddleAndWhatIsRoundStaysRound) {
    session().select({id("Coat stand")}); // 20 across
    const Vec2 middle = pose("Coat stand").at;
    dragFrom(corner("Coat stand", 1, 1), {3 * 25.4, 2 * 25.4}, Qt::ControlModifier);
    // Twice what the hand went, to a whole inch.
    EXPECT_NEAR(piece("Coat stand").size.width.inInches(), 26, 1.001);
    EXPECT_EQ(piece("Coat stand").size.width, piece("Coat stand").size.depth);
    EXPECT_NEAR(norm(pose("Coat stand").at - middle), 0, 0.01);
}

TEST_F(BothHands, EscapeLeavesTheSizeAsItWas) {
    session().select({id("Coat stand")});
    const QPoint at = corner("Coat stand", 1, 1);
    QTest::mousePress(board(), Qt::LeftButton, {}, at);
    move(at + QPoint(40, 40), Qt::LeftButton);
    QTest::keyClick(board(), Qt::Key_Escape);
    QTest::mouseRelease(board(), Qt::LeftButton, {}, at);
    EXPECT_NEAR(piece("Coat stand").size.width.inInches(), 20, 1e-6);
    EXPECT_FALSE(session().canUndo());
}

TEST_F(BothHands, ADoubleClickTakesNameAndSizes) {
    QString fault;
    QTimer::singleShot(0, [&] {
        auto* d = qobject_cast<PieceDialog*>(QApplication::activeModalWidget());
        ASSERT_NE(d, nullptr);
        d->width()->selectAll();
        QTest::keyClicks(d->width(), "no size");
        d->accept();
        fault = d->fault();
        d->width()->selectAll();
        QTest::keyClicks(d->width(), "22 1/2");
        d->name()->selectAll();
        QTest::keyClicks(d->name(), "Hat stand");
        d->accept();
    });
    QTest::mouseDClick(board(), Qt::LeftButton, {}, on("Coat stand"));
    EXPECT_FALSE(fault.isEmpty()) << "what is no size is told, and nothing is done";
    EXPECT_NEAR(piece("Hat stand").size.width.inInches(), 22.5, 1e-9);
    EXPECT_NEAR(piece("Hat stand").size.depth.inInches(), 20, 1e-9);
}

TEST_F(BothHands, ARightClickOffersWhatCanBeDone) {
    QStringList offered;
    QTimer::singleShot(0, [&] {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        ASSERT_NE(menu, nullptr);
        for (const auto* a : menu->actions())
            offered << a->text();
        menu->close();
    });
    QContextMenuEvent e(QContextMenuEvent::Mouse, on("Supper table"),
                        board()->mapToGlobal(on("Supper table")));
    QApplication::sendEvent(board(), &e);
    EXPECT_TRUE(session().isSelected(id("Supper table")));
    for (const char* text : {"Name and sizes …", "Another in its place", "Cut", "Copy", "Paste",
                             "Seat the table …", "Remove"})
        EXPECT_TRUE(offered.contains(text)) << text;
}

TEST_F(BothHands, WhatIsCopiedLandsFreeInAnotherScheme) {
    session().select({id("Sideboard"), id("Coat stand")});
    window->act("clip")->trigger();
    session().sayLine("scheme 2");
    const auto before = session().project()->scheme().pieces.size();
    window->act("paste")->trigger();
    ASSERT_EQ(session().project()->scheme().pieces.size(), before + 2);
    EXPECT_EQ(session().selected().size(), 2U);
    for (const auto& r : session().readings())
        if (r.rule->id == "clash" || r.rule->id == "inside")
            for (const int id : session().selected())
                EXPECT_FALSE(r.isAbout(id) && r.toMend()) << sentenceOf(r, session().wording());
    session().undo();
    EXPECT_EQ(session().project()->scheme().pieces.size(), before);
}

TEST_F(BothHands, WhatIsNoPieceIsNotPasted) {
    QApplication::clipboard()->setText("hello");
    const auto job = session().project();
    window->act("paste")->trigger();
    EXPECT_EQ(session().project(), job);
}

TEST_F(BothHands, TheLineAnswersBelowItAndOnTheBoard) {
    const auto job = session().project();
    type("how far is the sofa from the sideboard?");
    EXPECT_EQ(session().project(), job) << "a question changes nothing";
    EXPECT_FALSE(session().marks().empty());
    EXPECT_NE(window->line()->preview().indexOf("from Sofa to Sideboard"), -1)
        << window->line()->preview().toStdString();
    QTest::keyClick(board(), Qt::Key_Escape);
    EXPECT_TRUE(session().marks().empty());
}

TEST_F(BothHands, ItIsWhatWasNamedLast) {
    session().select({});
    type("move the sideboard 6 left");
    const Vec2 once = pose("Sideboard").at;
    session().select({});
    type("move it 6 left");
    EXPECT_NEAR(norm(pose("Sideboard").at - once) / 25.4, 6, 1e-6);
    type("again");
    EXPECT_NEAR(norm(pose("Sideboard").at - once) / 25.4, 12, 1e-6);
    type("undo");
    type("undo");
    EXPECT_NEAR(norm(pose("Sideboard").at - once), 0, 1e-6);
}

TEST_F(BothHands, ARefusedLineOffersWholeLines) {
    auto* edit = window->line()->edit();
    edit->setFocus();
    QTest::keyClicks(edit, "moev the sofa 6 left");
    auto* list = window->line()->choices();
    for (int i = 0; i < 1000 && !(list->isVisible() && list->count() > 0); ++i)
        QTest::qWait(5);
    ASSERT_GT(list->count(), 0);
    EXPECT_EQ(list->item(0)->text(), "Say: move the sofa 6 left");
    QTest::keyClick(edit, Qt::Key_Tab);
    QTest::keyClick(edit, Qt::Key_Return);
    EXPECT_EQ(edit->text(), "move the sofa 6 left");
}

TEST_F(BothHands, AnEmptyLineShowsWhatCanBeSaidOfTheChosen) {
    session().select({id("Sofa")});
    // When the machine has the time for it.
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return window->line()->preview().contains("6\" left"); }, 5000))
        << window->line()->preview().toStdString();
    session().sayLine("units cm");
    session().select({id("Sideboard")});
    // What was told stays for a while, or until something is typed.
    QTest::keyClicks(window->line()->edit(), "x");
    QTest::keyClick(window->line()->edit(), Qt::Key_Backspace);
    QTest::qWait(400);
    EXPECT_NE(window->line()->preview().indexOf("15 cm left"), -1)
        << window->line()->preview().toStdString();
}

TEST_F(BothHands, WhatIsToldIsShownToItsLastWord) {
    // A layout of lights ends in its caution, which is not to be cut off.
    type("light this room evenly");
    auto* told = window->line()->findChild<QLabel*>("preview");
    ASSERT_NE(told, nullptr);
    ASSERT_TRUE(told->text().endsWith("are for a licensed electrician"))
        << window->line()->preview().toStdString();
    const QRect needed = told->fontMetrics().boundingRect(QRect(0, 0, told->width(), 1000),
                                                          Qt::TextWordWrap, told->text());
    EXPECT_LE(needed.width(), told->width());
    EXPECT_LE(needed.height(), told->height());
    EXPECT_GT(needed.height(), told->fontMetrics().lineSpacing()); // it is longer than a line
}

TEST_F(BothHands, AnEndOfTheBandIsDraggedToMakeItTheJobsOwn) {
    session().select({id("Coffee table")});
    settled();
    ReadingCard* card = nullptr;
    for (auto* c : window->tape()->cards())
        if (session().readings()[c->reading()].rule->id == "seat-to-table" && card == nullptr)
            card = c;
    ASSERT_NE(card, nullptr);
    auto* strip = card->findChild<TapeStrip*>();
    ASSERT_NE(strip, nullptr);
    EXPECT_TRUE(session().project()->judgement.choices.count("seat-to-table") == 0);
    // Its left end is where the white begins; it is looked for from the left.
    int at = 0;
    for (int x = 3; x < strip->width() && at == 0; ++x) {
        QMouseEvent over(QEvent::MouseMove, QPointF(x, 15), strip->mapToGlobal(QPointF(x, 15)),
                         Qt::NoButton, Qt::NoButton, Qt::NoModifier);
        QApplication::sendEvent(strip, &over);
        if (strip->cursor().shape() == Qt::SplitHCursor)
            at = x + 5;
    }
    ASSERT_GT(at, 0);
    QTest::mousePress(strip, Qt::LeftButton, {}, QPoint(at, 15));
    QMouseEvent drag(QEvent::MouseMove, QPointF(at - 30, 15), strip->mapToGlobal(QPointF(at, 15)),
                     Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(strip, &drag);
    QTest::mouseRelease(strip, Qt::LeftButton, {}, QPoint(at - 30, 15));
    settle();
    const auto& choice = session().project()->judgement.choices.at("seat-to-table");
    ASSERT_TRUE(choice.band);
    EXPECT_LT(*choice.band->low, 12 * 25.4);
    EXPECT_NEAR(std::remainder(*choice.band->low, 25.4 / 4), 0, 1e-6) << "in quarter inches";
    EXPECT_TRUE(choice.band->high);
    session().undo();
    EXPECT_TRUE(session().project()->judgement.choices.count("seat-to-table") == 0);
}

TEST_F(BothHands, AReadingIsAcceptedWithItsReason) {
    const int before = session().toMend();
    EXPECT_TRUE(
        session().sayLine("accept seat-to-table of coffee table because the dog lies there"));
    settled();
    EXPECT_LT(session().toMend(), before);
    session().select({id("Coffee table")});
    settled();
    bool told = false;
    for (auto* l : window->tape()->findChildren<QLabel*>())
        told = told || l->text().contains("Accepted: the dog lies there");
    EXPECT_TRUE(told);
}

TEST_F(BothHands, ArrowsGoByAnInchAndFinerByTwoKeys) {
    session().select({id("Floor lamp")});
    session().sayLine("floor lamp at 10', 12'");
    session().select({id("Floor lamp")});
    const Vec2 at = pose("Floor lamp").at;
    QTest::keyClick(board(), Qt::Key_Right);
    EXPECT_NEAR(pose("Floor lamp").at.x - at.x, 25.4, 1e-6);
    QTest::keyClick(board(), Qt::Key_Right, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_NEAR(pose("Floor lamp").at.x - at.x, 25.4 + 25.4 / 8, 1e-6);
    QTest::keyClick(board(), Qt::Key_Down, Qt::ShiftModifier);
    EXPECT_NEAR(pose("Floor lamp").at.y - at.y, 304.8, 1e-6);
}

TEST_F(BothHands, WhatIsDoneIsListedToGoBackTo) {
    const auto before = jobText(*session().project());
    session().sayLine("floor lamp at 10', 12'");
    session().sayLine("coat stand at 12', 12'");
    session().sayLine("turn the sofa around");
    const auto after = jobText(*session().project());
    auto* steps = window->findChild<QMenu*>("steps");
    ASSERT_NE(steps, nullptr);
    emit steps->aboutToShow();
    ASSERT_EQ(steps->actions().size(), 4);
    EXPECT_TRUE(steps->actions().front()->isChecked());
    steps->actions()[2]->trigger();
    emit steps->aboutToShow();
    EXPECT_TRUE(steps->actions()[2]->isChecked()) << "one step stands";
    steps->actions().last()->trigger();
    EXPECT_EQ(jobText(*session().project()), before);
    EXPECT_TRUE(session().canRedo());
    emit steps->aboutToShow();
    steps->actions().front()->trigger();
    EXPECT_EQ(jobText(*session().project()), after);
}

TEST_F(BothHands, AKindIsDraggedFromTheListToItsPlace) {
    session().goTo(theFloor());
    const auto drop = [&](const char* line, QPointF at) {
        QMimeData data;
        data.setData(Board::addMime, line);
        QDragEnterEvent enter(at.toPoint(), Qt::CopyAction, &data, Qt::LeftButton, {});
        QApplication::sendEvent(board(), &enter);
        QDragMoveEvent move(at.toPoint(), Qt::CopyAction, &data, Qt::LeftButton, {});
        QApplication::sendEvent(board(), &move);
        EXPECT_TRUE(session().inTrial()) << "it is shown where it would stand";
        QDropEvent let(at, Qt::CopyAction, &data, Qt::LeftButton, {});
        QApplication::sendEvent(board(), &let);
        settle();
    };
    const auto pieces = session().project()->scheme().pieces.size();
    drop("add trunk 30 x 18", board()->toScreen({3000, 3600}));
    ASSERT_EQ(session().project()->scheme().pieces.size(), pieces + 1);
    const Pose there = pose("Trunk");
    EXPECT_NEAR(there.at.x, 3000, 13) << "within half an inch";
    EXPECT_NEAR(there.at.y, 3600, 13);
    session().undo();
    EXPECT_EQ(session().project()->scheme().pieces.size(), pieces) << "it is one step";
    session().goTo(onWall(1));
    settle();
    drop("add picture 12 x 16", board()->toScreen({700, -1500}));
    ASSERT_EQ(session().project()->scheme().pieces.size(), pieces + 1);
    EXPECT_EQ(session().project()->scheme().pieces.back().on, onWall(1));
    EXPECT_NEAR(session().scene()->byId(session().project()->scheme().pieces.back().id)->pose.at.y,
                1500, 13);
}

TEST_F(BothHands, FurnitureGoesAlongTheWallItIsSeenFrom) {
    session().sayLine("floor plant at 12', 13' 6\"");
    const Vec2 at = pose("Floor plant").at;
    session().goTo(onWall(3));
    session().select({id("Floor plant")});
    const Wall& d = session().project()->room->walls[3];
    QTest::keyClick(board(), Qt::Key_Left);
    // Wall D is seen from inside: an inch to its left, and no nearer to it.
    EXPECT_NEAR(dot(pose("Floor plant").at - at, d.along()), -25.4, 1e-6);
    EXPECT_NEAR(dot(pose("Floor plant").at - at, d.inward()), 0, 1e-6);
    const Vec2 moved = pose("Floor plant").at;
    QTest::keyClick(board(), Qt::Key_Up);
    EXPECT_NEAR(norm(pose("Floor plant").at - moved), 0, 1e-6) << "it stays on the floor";
}

TEST_F(BothHands, WhatLiesUnderIsReachedByPressingOnceMore) {
    const QPoint at = on("Coffee table");
    QTest::mouseClick(board(), Qt::LeftButton, {}, at);
    ASSERT_EQ(session().selected(), std::vector<int>{id("Coffee table")});
    QTest::qWait(QApplication::doubleClickInterval() + 50);
    QTest::mouseClick(board(), Qt::LeftButton, {}, at);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Hearth rug")});
    QTest::qWait(QApplication::doubleClickInterval() + 50);
    QTest::mouseClick(board(), Qt::LeftButton, {}, at);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Coffee table")}) << "and round again";
}

TEST_F(BothHands, TheBoardTellsWhatIsUnderThePointer) {
    board()->grab();
    const auto told = board()->toldAt(on("Sofa"));
    EXPECT_TRUE(told.startsWith("Sofa, 84 x 36 x 34")) << told.toStdString();
    const Room& room = *session().project()->room;
    const Wall& c = room.walls[2];
    EXPECT_TRUE(
        board()->toldAt(board()->toScreen(c.at(Length::inches(60)))).startsWith("window 2"));
    const auto& o = room.fixtures.front();
    EXPECT_FALSE(
        board()
            ->toldAt(board()->toScreen(room.walls[static_cast<std::size_t>(o.wall)].at(o.left)))
            .isEmpty());
}
