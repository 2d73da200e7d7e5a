// Dressing a unit in the window: said, dragged, found from the stock, tried and taken back.
#include "app/dialogs/dress_dialog.h"
#include "ui/open_window.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QTemporaryDir>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class DressWindow : public test::OpenWindow {
protected:
    void SetUp() override {
        test::OpenWindow::SetUp();
        for (const char* line :
             {"bookcase 60 x 12 x 84, 5 shelves called Tall shelves",
              "palette cream and navy, accent brass", "stock 20 cream books 9 x 6 x 1",
              "stock 12 navy books 10 x 7 x 1 1/4", "stock 6 brass spheres 4 dia x 4",
              "stock 4 white vases 6 x 6 x 9", "stock 4 oak boxes 9 x 6 x 4"})
            EXPECT_TRUE(session().sayLine(line)) << line;
        dialog = std::make_unique<DressDialog>(session());
        dialog->setModal(false);
        dialog->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(dialog.get()));
        dialog->units()->setCurrentIndex(dialog->units()->findText("Tall shelves"));
    }
    void TearDown() override {
        dialog.reset();
        test::OpenWindow::TearDown();
    }
    void type(const QString& line) {
        dialog->line()->setFocus();
        dialog->line()->clear();
        QTest::keyClicks(dialog->line(), line);
        QTest::keyClick(dialog->line(), Qt::Key_Return);
    }
    const Piece* piece(const char* name) { return session().project()->scheme().byName(name); }
    void solved() {
        for (int i = 0; i < 4000 && dialog->solving(); ++i)
            QTest::qWait(5);
        ASSERT_FALSE(dialog->solving());
    }

    std::unique_ptr<DressDialog> dialog;
};

} // namespace

TEST_F(DressWindow, ThingsAreSaidAndSeen) {
    type("stack of 5 navy books, widest below, left of opening 2");
    ASSERT_NE(piece("navy book 5"), nullptr);
    EXPECT_TRUE(dialog->line()->text().isEmpty());
    EXPECT_TRUE(dialog->stock()->item(1)->text().contains("7 of 12 left"))
        << dialog->stock()->item(1)->text().toStdString();
    EXPECT_GT(dialog->readings()->count(), 0);
    // What can't be stays in the line, with the reason.
    type("vase 8 x 8 x 20 in opening 2");
    EXPECT_FALSE(dialog->line()->text().isEmpty());
    EXPECT_TRUE(dialog->told()->text().contains("clear")) << dialog->told()->text().toStdString();
    // A reading of what is wrong names the thing.
    type("red book in opening 3");
    const auto named = [&] {
        for (int i = 0; i < dialog->readings()->count(); ++i)
            if (dialog->readings()->item(i)->text().startsWith("Red book"))
                return true;
        return false;
    };
    EXPECT_TRUE(QTest::qWaitFor(named));
}

TEST_F(DressWindow, AThingIsDraggedToAnotherOpening) {
    type("white vase left of opening 2");
    auto* picture = dialog->picture();
    const Piece* vase = piece("white vase 1");
    ASSERT_NE(vase, nullptr);
    EXPECT_EQ(vase->on.index, 2);
    const QPointF from = picture->frontOf(vase->id).topLeft() + QPointF(3, 3);
    // The third opening: straight down from the second by one board and one height.
    QPointF to = from;
    while (to.y() < picture->height() &&
           (!picture->boardAt(to) || picture->boardAt(to)->first.index != 3))
        to.ry() += 1;
    to += QPointF(60, 10); // it is held by its top: its foot comes low in the opening
    QTest::mousePress(picture, Qt::LeftButton, {}, from.toPoint());
    QTest::mouseMove(picture, ((from + to) / 2).toPoint());
    QTest::mouseMove(picture, to.toPoint());
    QTest::mouseRelease(picture, Qt::LeftButton, {}, to.toPoint());
    EXPECT_EQ(piece("white vase 1")->on.index, 3);
    EXPECT_GT(piece("white vase 1")->pose.at.x, vase->size.width.mm() / 2 + 20);
    // By keys too, and away.
    const double x = piece("white vase 1")->pose.at.x;
    picture->setFocus();
    QTest::keyClick(picture, Qt::Key_Right);
    EXPECT_NEAR(piece("white vase 1")->pose.at.x, x + 25.4, 0.01);
    QTest::keyClick(picture, Qt::Key_Delete);
    EXPECT_EQ(piece("white vase 1"), nullptr);
    session().undo();
    EXPECT_NE(piece("white vase 1"), nullptr);
}

TEST_F(DressWindow, AnswersFromTheStockAreTried) {
    dialog->solve({});
    solved();
    ASSERT_GE(dialog->answers(), 1U);
    const auto first = session().project();
    EXPECT_GT(first->scheme().pieces.size(), 20U);
    if (dialog->answers() > 1) {
        ASSERT_TRUE(dialog->take(1));
        EXPECT_NE(session().project(), first);
        EXPECT_GE(dialog->answers(), 2U);
        // One answer took the other's place: a step back is the job before.
        session().undo();
        EXPECT_EQ(piece("cream book 1"), nullptr);
        EXPECT_EQ(piece("navy book 1"), nullptr);
    }
    dialog->solve({});
    solved();
    EXPECT_GE(dialog->answers(), 1U);
    auto* far = dialog->findChild<QCheckBox*>("squint");
    far->setChecked(true);
    EXPECT_FALSE(dialog->grab().isNull());
}

TEST_F(DressWindow, TheStockIsReadAndWrittenAndThePaletteTaken) {
    QTemporaryDir folder;
    const auto csv = folder.filePath("things.csv");
    ASSERT_TRUE(window->writeStock(csv));
    const auto before = session().project()->stock->size();
    ASSERT_TRUE(window->readStock(csv));
    EXPECT_EQ(session().project()->stock->size(), before);
    QFile bad(folder.filePath("bad.csv"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("name,kind\nx,book\n");
    bad.close();
    const auto job = session().project();
    EXPECT_FALSE(window->readStock(bad.fileName()));
    EXPECT_EQ(session().project(), job);
    // A picture of three fields.
    QImage picture(300, 200, QImage::Format_RGB32);
    picture.fill(QColor(240, 230, 200));
    for (int y = 0; y < 200; ++y)
        for (int x = 0; x < 120; ++x)
            picture.setPixelColor(x, y, x < 90 ? QColor(30, 42, 74) : QColor(182, 146, 72));
    const auto png = folder.filePath("fields.png");
    ASSERT_TRUE(picture.save(png));
    window->paletteFrom(png);
    for (int i = 0; i < 1000 && session().project() == job; ++i)
        QTest::qWait(5);
    const Dressing& d = session().project()->scheme().dressing;
    ASSERT_EQ(d.families.size(), 2U);
    EXPECT_EQ(d.families[1], (Rgb{30, 42, 74}));
    ASSERT_TRUE(d.accent);
    EXPECT_EQ(*d.accent, (Rgb{182, 146, 72}));
}

TEST_F(DressWindow, ATabletopIsDressedFromTheStockToo) {
    const int at = dialog->units()->findText("Sideboard");
    ASSERT_GE(at, 0);
    dialog->units()->setCurrentIndex(at);
    dialog->solve({});
    solved();
    ASSERT_GE(dialog->answers(), 1U) << dialog->told()->text().toStdString();
    const Piece* board = piece("Sideboard");
    const auto& pieces = session().project()->scheme().pieces;
    const auto there = std::count_if(pieces.begin(), pieces.end(), [&](const Piece& p) {
        return p.on == onTop(board->id) && p.isThing();
    });
    EXPECT_GT(there, 0);
    EXPECT_EQ(there % 2, 1);
}
