// Hanging in the real window: saying, dragging, grouping, hooks, mirrors, pictures and sheets.
#include "app/dialogs/group_dialog.h"
#include "app/dialogs/sheet_dialog.h"
#include "judge/on_walls.h"
#include "sheets/wall_sheets.h"
#include "site/built.h"
#include "ui/open_window.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QFile>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class WallStory : public test::OpenWindow {
protected:
    void SetUp() override {
        OpenWindow::SetUp();
        session().goTo(onWall(3));
        settle();
    }
    bool say(const char* line) {
        const bool done = session().sayLine(line);
        settle();
        return done;
    }
    QPoint hung(const char* name) {
        const Vec2 at = pose(name).at;
        return board()->toScreen({at.x, -at.y}).toPoint();
    }
    /// Presses where a piece hangs, goes a way in steps, and lets go.
    void dragBy(const char* name, QPoint way, Qt::KeyboardModifiers keys = {}) {
        const QPoint from = hung(name);
        QTest::mousePress(board(), Qt::LeftButton, keys, from);
        for (int i = 1; i <= 5; ++i)
            move(from + way * i / 5, Qt::LeftButton, keys);
        QTest::mouseRelease(board(), Qt::LeftButton, keys, from + way);
        settle();
    }
    const Piece& piece(const char* name) { return *session().project()->scheme().byName(name); }
    QImage picture() { return board()->grab().toImage(); }
};

} // namespace

TEST_F(WallStory, WhatIsSaidHangsOnTheWallLookedAt) {
    session().select({});
    ASSERT_TRUE(say("canvas 20 x 16 called Lamp study, 66 from left corner, centre at 70"));
    EXPECT_EQ(piece("Lamp study").on, onWall(3));
    EXPECT_EQ(session().selected(), std::vector<int>{id("Lamp study")});
    session().goTo(theFloor());
    ASSERT_TRUE(say("canvas 20 x 16 called Tide, 6 above sideboard, 2 left of sideboard mirror"));
    EXPECT_EQ(session().surface(), onWall(0)) << "it is shown where it hangs";
    session().undo();
    session().undo();
    EXPECT_EQ(session().project()->scheme().byName("Lamp study"), nullptr);
}

TEST_F(WallStory, AGroupIsPressedAndDraggedAsOneAndPressedAgainGivesItsPiece) {
    session().select({});
    QTest::mouseClick(board(), Qt::LeftButton, {}, hung("Harbour"));
    settle();
    EXPECT_EQ(session().selected(), std::vector<int>{id("Nine prints")});
    const Vec2 group = pose("Nine prints").at;
    const Vec2 harbour = pose("Harbour").at;
    dragBy("Harbour", {-30, -20}, Qt::AltModifier);
    const Vec2 step = pose("Nine prints").at - group;
    EXPECT_LT(step.x, -100);
    EXPECT_GT(step.y, 60) << "up on the screen is up on the wall";
    EXPECT_LT(norm(pose("Harbour").at - harbour - step), 0.01) << "its pieces go along";
    QTest::mouseClick(board(), Qt::LeftButton, {}, hung("Harbour"));
    settle();
    EXPECT_EQ(session().selected(), std::vector<int>{id("Harbour")});
    session().undo();
    EXPECT_LT(norm(pose("Nine prints").at - group), 0.01);
}

TEST_F(WallStory, ArrowsNudgeByAnInchAndAFoot) {
    session().select({id("Nine prints")});
    board()->setFocus();
    const Vec2 before = pose("Nine prints").at;
    QTest::keyClick(board(), Qt::Key_Up);
    EXPECT_NEAR(pose("Nine prints").at.y - before.y, 25.4, 1e-6);
    QTest::keyClick(board(), Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_NEAR(pose("Nine prints").at.x - before.x, -304.8, 1e-6);
    // It stops at the wall's end.
    for (int i = 0; i < 4; ++i)
        QTest::keyClick(board(), Qt::Key_Right, Qt::ShiftModifier);
    const Piece& group = *session().project()->scheme().byName("Nine prints");
    const Wall& wall = session().project()->room->walls[static_cast<std::size_t>(group.wall())];
    EXPECT_NEAR(group.pose.at.x + group.size.width.mm() / 2, wall.length().mm(), 1);
}

TEST_F(WallStory, ADragFindsEyeLevel) {
#ifdef __SANITIZE_ADDRESS__
    GTEST_SKIP() << "a snap that takes too long to look at is not offered";
#endif
    ASSERT_TRUE(say("canvas 20 x 16 called Lamp study, at 82, 70"));
    session().select({id("Lamp study")});
    const double to = (70 - 58.5) * 25.4 * board()->pixelsPerMm();
    dragBy("Lamp study", {0, static_cast<int>(to) + 2});
    EXPECT_NEAR(pose("Lamp study").at.y / 25.4, 58.5, 1e-6);
    const auto& ties = piece("Lamp study").ties;
    EXPECT_TRUE(std::any_of(ties.begin(), ties.end(),
                            [](const Tie& t) { return t.kind == Tie::Kind::eyeLevel; }));
}

TEST_F(WallStory, TypingOnTheTapeMovesWhatHangs) {
    session().goTo(onWall(0));
    session().select({id("Sideboard mirror")});
    settle();
    bool typed = false;
    for (auto* c : window->tape()->cards()) {
        if (session().readings()[c->reading()].rule->id != "art-above")
            continue;
        c->figure()->setText("5");
        QTest::keyClick(c->figure(), Qt::Key_Return);
        typed = true;
        break;
    }
    settled();
    ASSERT_TRUE(typed);
    bool above = false;
    for (const Tie& t : piece("Sideboard mirror").ties)
        above = above || (t.kind == Tie::Kind::above && std::abs(t.distance.inInches() - 5) < 1e-9);
    EXPECT_TRUE(above);
}

TEST_F(WallStory, TheTapeListsTheHooksOfAGroupAndItsCautions) {
    session().select({id("Nine prints")});
    settle();
    const auto rules = hookRules(*session().library().book);
    QStringList texts;
    for (auto* l : window->tape()->findChildren<QLabel*>())
        texts << l->text();
    int hooks = 0;
    for (const auto& h : hangAll(*session().scene(), rules, 3))
        for (const auto& k : h.hooks) {
            ++hooks;
            EXPECT_TRUE(texts.contains(
                QString::fromStdString(sheets::hookWords(k.along, session().project()->notation))));
        }
    EXPECT_EQ(hooks, 9);
    EXPECT_FALSE(window->tape()->findChildren<QLabel*>("caution").isEmpty())
        << "a hook is level with the switch";
}

TEST_F(WallStory, HooksMirrorsAndTheUnrolledWallsAreShownOnDemand) {
    session().select({});
    const auto plain = picture();
    window->act("showHooks")->trigger();
    EXPECT_NE(picture(), plain);
    window->act("showHooks")->trigger();
    EXPECT_EQ(picture(), plain);
    window->act("unroll")->trigger();
    EXPECT_NE(picture(), plain);
    // A wall beside it is gone to by a press.
    const auto below = board()->toScreen({-500, -300}).toPoint();
    QTest::mouseClick(board(), Qt::LeftButton, {}, below);
    EXPECT_EQ(session().surface(), onWall(2));
    window->act("unroll")->trigger();
    session().goTo(onWall(0));
    settle();
    const auto mirror = picture();
    window->act("showReflected")->trigger();
    EXPECT_NE(picture(), mirror);
    const auto sofa = picture();
    window->act("mirrorNext")->trigger();
    EXPECT_NE(picture(), sofa) << "from another place it shows another part of the room";
    window->act("nextWall")->trigger();
    EXPECT_EQ(session().surface(), onWall(1));
    window->act("lastWall")->trigger();
    EXPECT_EQ(session().surface(), onWall(0));
}

TEST_F(WallStory, AGroupIsSetOutAnewFromClearlyDifferentAnswers) {
    GroupDialog dialog(session(), {id("Nine prints")}, window.get());
    dialog.QDialog::show();
    const auto wait = [&] {
        for (int i = 0; i < 3000 && dialog.solving(); ++i)
            QTest::qWait(5);
    };
    wait();
    ASSERT_GE(dialog.answers().size(), 3U);
    EXPECT_EQ(dialog.findChildren<AnswerPicture*>().size(),
              static_cast<qsizetype>(dialog.answers().size()));
    dialog.setForm(GroupForm::grid);
    wait();
    dialog.gap()->setText("3");
    dialog.solve();
    wait();
    ASSERT_FALSE(dialog.answers().empty());
    ASSERT_TRUE(dialog.take(0));
    EXPECT_EQ(piece("Nine prints").plan.form, GroupForm::grid);
    EXPECT_NEAR(piece("Nine prints").plan.gap.inInches(), 3, 1e-9);
    // One pinned stays where it hangs.
    const Vec2 mill = pose("Mill").at;
    for (int i = 0; i < dialog.pins()->count(); ++i)
        if (dialog.pins()->item(i)->text().startsWith("Mill"))
            dialog.pins()->item(i)->setCheckState(Qt::Checked);
    wait();
    ASSERT_FALSE(dialog.answers().empty());
    ASSERT_TRUE(dialog.take(0));
    EXPECT_LT(norm(pose("Mill").at - mill), 0.01);
    dialog.gap()->setText("wide");
    dialog.solve();
    EXPECT_TRUE(dialog.gap()->hasFocus() || !dialog.isActiveWindow());
}

TEST_F(WallStory, PiecesAreMadeAGroupAndTakenApart) {
    session().select({id("Nine prints")});
    window->act("ungroup")->trigger();
    settle();
    EXPECT_EQ(session().project()->scheme().byName("Nine prints"), nullptr);
    GroupDialog dialog(session(), {id("Mill"), id("Barn"), id("Kiln")}, window.get());
    for (int i = 0; i < 3000 && dialog.solving(); ++i)
        QTest::qWait(5);
    ASSERT_TRUE(dialog.take(0));
    ASSERT_EQ(session().selected().size(), 1U);
    EXPECT_TRUE(session().project()->scheme().byId(session().selected()[0])->isGroup());
}

TEST_F(WallStory, APictureFileIsKeptInTheJobByReferenceAndCopy) {
    QTemporaryDir dir;
    QImage image(2400, 1200, QImage::Format_RGB32);
    image.fill(Qt::darkCyan);
    const auto path = dir.filePath("tide.jpg");
    ASSERT_TRUE(image.save(path, "JPEG"));
    session().select({id("Mill")});
    ASSERT_TRUE(window->putPicture(path));
    EXPECT_EQ(piece("Mill").picture, "tide");
    const auto& kept = session().project()->pictures->at("tide");
    EXPECT_EQ(kept.source, path.toStdString());
    EXPECT_EQ(kept.width, 1000) << "made smaller";
    const auto saved = dir.filePath("job.mezzet");
    ASSERT_TRUE(window->saveTo(saved));
    QFile::remove(path);
    ASSERT_TRUE(window->openPath(saved));
    EXPECT_EQ(session().project()->pictures->count("tide"), 1U) << "the file itself may go";
    // What is no picture is refused, and nothing changes.
    QFile text(dir.filePath("notes.png"));
    ASSERT_TRUE(text.open(QIODevice::WriteOnly));
    text.write("no picture");
    text.close();
    session().select({id("Mill")});
    EXPECT_FALSE(window->putPicture(text.fileName()));
    EXPECT_EQ(piece("Mill").picture, "tide");
}

TEST_F(WallStory, WallHooksAndTemplatesArePrinted) {
    QTemporaryDir dir;
    for (const auto& [which, ending] :
         {std::pair{"wall", "pdf"}, std::pair{"wall", "svg"}, std::pair{"hooks", "csv"},
          std::pair{"hooks", "pdf"}, std::pair{"templates", "pdf"}}) {
        SheetDialog dialog(session().settledProject(), which, onWall(3));
        const auto path = dir.filePath(QString("%1.%2").arg(which, ending));
        EXPECT_TRUE(window->printTo(path, which, dialog.options())) << which;
        EXPECT_GT(QFile(path).size(), 300) << path.toStdString();
    }
    SheetDialog dialog(session().settledProject(), "wall", onWall(1));
    EXPECT_EQ(dialog.options().wall, 1);
    EXPECT_FALSE(window->printTo(dir.filePath("no/such/place.pdf"), "wall", dialog.options()));
}

TEST_F(WallStory, EverySheetIsShownBeforeItIsPrinted) {
    ASSERT_TRUE(session().sayLine("vase on sideboard"));
    ASSERT_TRUE(session().sayLine("season Autumn"));
    ASSERT_TRUE(session().sayLine("bowl on sideboard, 4 from right end"));
    const auto built = readBuilt("sideboard 2 from wall A", *session().project(),
                                 *session().scene(), *readDay("2027-04-01"));
    ASSERT_TRUE(built);
    ASSERT_TRUE(session().apply(
        {"as built", {SetHandover{withBuilt(*session().project(), {*built})}}, {}}));
    for (const sheets::SheetKind* k : sheets::sheetKinds()) {
        SheetDialog dialog(session().settledProject(), k->id, onWall(3), window.get());
        EXPECT_EQ(&dialog.kind(), k);
        dialog.setModal(false);
        dialog.show();
        ASSERT_TRUE(QTest::qWaitFor([&] { return dialog.drawn(); }, 20000)) << k->id;
        // The picture is of the sheet itself: as wide to high, and with ink on it.
        const QImage shown = dialog.picture()->pixmap().toImage();
        ASSERT_FALSE(shown.isNull()) << k->id;
        const auto sheet = k->pages(*session().settledProject(), dialog.options());
        ASSERT_TRUE(sheet) << k->id;
        EXPECT_NEAR(double(shown.width()) / shown.height(),
                    sheet->paper.width / sheet->paper.height, 0.02)
            << k->id;
        int ink = 0;
        for (int y = 0; y < shown.height(); y += 3)
            for (int x = 0; x < shown.width(); x += 3)
                ink += qGray(shown.pixel(x, y)) < 160 ? 1 : 0;
        EXPECT_GT(ink, 30) << k->id;
    }
}

TEST_F(WallStory, WhatDoesNotFitIsSaidAndNotPrinted) {
    SheetDialog dialog(session().settledProject(), "wall", onWall(3), window.get());
    dialog.setModal(false);
    dialog.show();
    for (auto* box : dialog.findChildren<QComboBox*>())
        if (const int i = box->findText("1:10"); i >= 0)
            box->setCurrentIndex(i);
    ASSERT_TRUE(QTest::qWaitFor([&] { return dialog.drawn(); }, 20000));
    bool told = false;
    for (auto* l : dialog.findChildren<QLabel*>())
        told = told || l->text().contains("does not fit");
    EXPECT_TRUE(told);
    bool may = true;
    for (auto* b : dialog.findChildren<QPushButton*>())
        if (b->text().remove('&') == "Save the sheet …")
            may = b->isEnabled();
    EXPECT_FALSE(may);
}

TEST_F(WallStory, HowASheetWasAskedForIsKeptWithTheJob) {
    {
        SheetDialog dialog(session().settledProject(), "plan", theFloor(), window.get());
        ASSERT_TRUE(QTest::qWaitFor([&] { return dialog.drawn(); }, 20000));
        EXPECT_FALSE(dialog.forClient()->isChecked());
        dialog.scales()->setCurrentIndex(dialog.scales()->findData("1/8\" = 1'-0\""));
        dialog.forClient()->setChecked(true);
        session().remember("plan", dialog.choice());
    }
    const auto kept = readJob(jobText(*session().project()), "job", session().library());
    ASSERT_TRUE(kept);
    SheetDialog again(*kept, "plan", theFloor(), window.get());
    EXPECT_TRUE(again.forClient()->isChecked());
    EXPECT_EQ(again.scales()->currentData().toString(), "1/8\" = 1'-0\"");
    // A step back or on changes nothing of it.
    session().sayLine("turn the sofa around");
    session().undo();
    EXPECT_EQ(session().project()->prints.count("plan"), 1U);
}

TEST_F(WallStory, ScalesThatDoNotFitAreToldInTheirListAndFilesHaveTellingNames) {
    SheetDialog dialog(session().settledProject(), "wall", onWall(3), window.get());
    ASSERT_TRUE(QTest::qWaitFor([&] { return dialog.drawn(); }, 20000));
    const int large = dialog.scales()->findData("1:5");
    const int small = dialog.scales()->findData("1:50");
    ASSERT_GT(small, 0);
    EXPECT_EQ(dialog.scales()->itemText(small), "1:50");
    if (large > 0)
        EXPECT_TRUE(dialog.scales()->itemText(large).contains("too large"));
    const auto name = dialog.fileName();
    EXPECT_TRUE(name.contains("wall D")) << name.toStdString();
    EXPECT_TRUE(name.contains(QDate::currentDate().toString(Qt::ISODate)));
    EXPECT_FALSE(name.contains('/'));
}

TEST_F(WallStory, PrintingIsOffTheWindowsThreadAndCanBeStopped) {
    QTemporaryDir dir;
    const SheetDialog dialog(session().settledProject(), "templates", onWall(3));
    QSignalSpy told(&session(), &JobSession::told);
    window->printLater(window->printing(dir.filePath("t.pdf"), dialog.kind(), dialog.options()));
    EXPECT_EQ(told.count(), 0) << "it goes on elsewhere";
    // The job may change meanwhile; the sheet is of what it was.
    session().sayLine("remove Mill");
    ASSERT_TRUE(QTest::qWaitFor([&] { return QFile::exists(dir.filePath("t.pdf")); }, 20000));
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return !told.isEmpty() && told.last().at(0).toString().startsWith("t.pdf: "); },
        20000));
    EXPECT_FALSE(told.last().at(1).toBool());
    // A picture of each page takes its time; the box has a stop, and what was stopped is told.
    window->printLater(window->printing(dir.filePath("p.png"), dialog.kind(), dialog.options()));
    QDialog* box = nullptr;
    ASSERT_TRUE(QTest::qWaitFor(
        [&] {
            for (auto* d : window->findChildren<QDialog*>("printing"))
                if (d->isVisible())
                    box = d;
            return box != nullptr;
        },
        20000));
    box->findChild<QPushButton*>("stopWork")->click();
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return told.last().at(0).toString().contains("stopped"); }, 20000));
    EXPECT_TRUE(told.last().at(1).toBool());
}

TEST_F(WallStory, TheListHasTheWallsPiecesAndHowFarFurnitureStandsOff) {
    auto* list = window->pieces()->findChild<QListWidget*>();
    QStringList rows;
    for (int i = 0; i < list->count(); ++i)
        rows << list->item(i)->text().trimmed();
    for (const char* name : {"Nine prints", "Harbour", "Barn", "Coat stand"})
        EXPECT_TRUE(rows.contains(name)) << name;
    EXPECT_FALSE(rows.contains("Hearth picture")) << "on another wall";
    EXPECT_LT(rows.indexOf("Nine prints"), rows.indexOf("Harbour"));
    // Typing a kind adds it here.
    window->pieces()->box()->setText("sconce");
    QTest::keyClick(window->pieces()->box(), Qt::Key_Return);
    settle();
    EXPECT_EQ(piece("Sconce").on, onWall(3));
}

TEST_F(WallStory, TabGoesFromPieceToPieceOfTheWall) {
    session().select({});
    board()->setFocus();
    std::vector<int> met;
    for (int i = 0; i < 4; ++i) {
        QTest::keyClick(board(), Qt::Key_Tab);
        ASSERT_EQ(session().selected().size(), 1U);
        met.push_back(session().selected()[0]);
        EXPECT_EQ(session().project()->scheme().byId(met.back())->on, onWall(3));
    }
    std::sort(met.begin(), met.end());
    EXPECT_EQ(std::unique(met.begin(), met.end()), met.end());
}
