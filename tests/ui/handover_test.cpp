// Handing over in the window: the list typed over, tasks moved, the floor marked step by step, what
// was built kept and taken, the book made.
#include "app/dialogs/handbook_dialog.h"
#include "app/handover/handover_dialog.h"
#include "files/whole_file.h"
#include "measure/texts.h"
#include "ui/open_window.h"

#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QTabWidget>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTextBrowser>

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class HandoverWindow : public test::OpenWindow {
protected:
    void SetUp() override {
        test::OpenWindow::SetUp();
        dialog = std::make_unique<HandoverDialog>(session());
        dialog->setModal(false);
        dialog->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(dialog.get()));
    }
    void TearDown() override {
        dialog.reset();
        test::OpenWindow::TearDown();
    }
    /// The row of a thing in a table, by its first column.
    static int rowOf(const QTableWidget* t, const QString& name) {
        for (int r = 0; r < t->rowCount(); ++r)
            if (t->item(r, 0)->text() == name)
                return r;
        return -1;
    }
    const ListItem item(const char* name) const {
        for (const ListItem& i : jobList(*window->session().project()))
            if (i.name == name)
                return i;
        return {};
    }

    std::unique_ptr<HandoverDialog> dialog;
};

} // namespace

TEST_F(HandoverWindow, TheListIsTypedOverAndCounted) {
    auto* t = dialog->list()->table();
    ASSERT_GT(t->rowCount(), 20);
    const int sofa = rowOf(t, "Sofa");
    ASSERT_GE(sofa, 0);
    t->item(sofa, 3)->setText("1200");
    EXPECT_EQ(item("Sofa").price, 1200.0);
    t->item(rowOf(t, "Sofa"), 1)->setText("ordered");
    EXPECT_EQ(item("Sofa").state, ItemState::ordered);
    t->item(rowOf(t, "Sofa"), 2)->setText("Linden Workshop");
    EXPECT_EQ(item("Sofa").supplier, "Linden Workshop");
    // What can't be is told, and the cell has what was there.
    t->item(rowOf(t, "Sofa"), 3)->setText("dear");
    EXPECT_TRUE(dialog->told().contains("price")) << dialog->told().toStdString();
    EXPECT_EQ(t->item(rowOf(t, "Sofa"), 3)->text(), "1200");
    dialog->list()->budget()->setFocus();
    QTest::keyClicks(dialog->list()->budget(), "1000");
    QTest::keyClick(dialog->list()->budget(), Qt::Key_Return);
    EXPECT_TRUE(dialog->list()->totals()->text().contains("200 over"))
        << dialog->list()->totals()->text().toStdString();
    // Several rows at once.
    t->selectAll();
    dialog->list()->setState(ItemState::have);
    for (const ListItem& i : jobList(*session().project()))
        EXPECT_EQ(i.state, ItemState::have) << i.name;
    session().undo();
    EXPECT_EQ(item("Sofa").state, ItemState::ordered);
    dialog->list()->filter()->setText("linden");
    EXPECT_EQ(t->rowCount(), 1);
}

TEST_F(HandoverWindow, WhatWasSeenInAShopIsTried) {
    auto* t = dialog->list()->table();
    t->selectRow(rowOf(t, "Sideboard"));
    auto* found = dialog->findChild<QLineEdit*>("listFound");
    auto* tries = dialog->findChild<QPushButton*>("listTry");
    EXPECT_FALSE(tries->isEnabled());
    QTest::keyClicks(found, "300 x 40");
    QTest::keyClick(found, Qt::Key_Return);
    EXPECT_TRUE(dialog->told().startsWith("No")) << dialog->told().toStdString();
    found->clear();
    QTest::keyClicks(found, "58 x 17 x 34");
    QTest::keyClick(found, Qt::Key_Return);
    EXPECT_TRUE(dialog->told().startsWith("Yes")) << dialog->told().toStdString();
    ASSERT_TRUE(tries->isEnabled());
    const auto schemes = session().project()->schemes.size();
    QTest::mouseClick(tries, Qt::LeftButton);
    EXPECT_EQ(session().project()->schemes.size(), schemes + 1);
    EXPECT_NEAR(session().project()->scheme().byName("Sideboard")->size.width.inInches(), 58, 1e-9);
    found->clear();
    QTest::keyClicks(found, "wide");
    QTest::keyClick(found, Qt::Key_Return);
    EXPECT_TRUE(dialog->told().contains("like"));
}

TEST_F(HandoverWindow, APictureIsKeptWithAThingOfTheList) {
    QTemporaryDir folder;
    QImage image(60, 40, QImage::Format_RGB32);
    image.fill(QColor("#7a8b5c"));
    ASSERT_TRUE(image.save(folder.filePath("seen in a shop.png")));
    auto* list = dialog->list();
    EXPECT_FALSE(list->putPicture(folder.filePath("seen in a shop.png"))) << "no row is chosen";
    list->table()->selectRow(rowOf(list->table(), "Sofa"));
    EXPECT_FALSE(list->putPicture(folder.filePath("none.png")));
    ASSERT_TRUE(list->putPicture(folder.filePath("seen in a shop.png")));
    EXPECT_EQ(item("Sofa").picture, "seen in a shop");
    EXPECT_EQ(window->session().project()->pictures->count("seen in a shop"), 1U);
    EXPECT_FALSE(list->table()->item(rowOf(list->table(), "Sofa"), 0)->icon().isNull());
    // It is in the job's file, on the sheet, and gone with what told of it.
    ASSERT_TRUE(window->session().saveTo(folder.filePath("job.mezzet")));
    const auto again =
        openJob(folder.filePath("job.mezzet").toStdString(), window->session().project()->library);
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ((*again)->pictures->count("seen in a shop"), 1U);
    EXPECT_TRUE(window->printTo(folder.filePath("list.pdf"), "list"));
    window->session().undo();
    EXPECT_EQ(item("Sofa").picture, "");
}

TEST_F(HandoverWindow, APageThatIsHiddenIsMadeAnewWhenItIsShown) {
    dialog->tabs()->setCurrentIndex(0);
    auto* order = dialog->order();
    const int before = order->table()->rowCount();
    ASSERT_FALSE(order->isVisible());
    const auto& job = *session().project();
    ASSERT_TRUE(session().apply(readLine("task varnish the floor, 3 days", job)->edit));
    EXPECT_EQ(order->table()->rowCount(), before) << "nobody looks at it";
    dialog->tabs()->setCurrentIndex(1);
    EXPECT_EQ(order->table()->rowCount(), before + 1);
    session().undo();
    EXPECT_EQ(order->table()->rowCount(), before) << "it is looked at";
}

TEST_F(HandoverWindow, TheListGoesOutAndComesBackAsATable) {
    QTemporaryDir folder;
    const auto path = folder.filePath("list.csv");
    ASSERT_TRUE(dialog->list()->writeTo(path));
    const auto before = jobText(*session().project());
    ASSERT_TRUE(dialog->list()->readFrom(path));
    EXPECT_EQ(jobText(*session().project()), before);
    QFile bad(folder.filePath("bad.csv"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("name,price\nsofa,dear\n");
    bad.close();
    EXPECT_FALSE(dialog->list()->readFrom(bad.fileName()));
    EXPECT_EQ(jobText(*session().project()), before);
}

TEST_F(HandoverWindow, ATaskThatSlipsMovesThoseAfterIt) {
    dialog->tabs()->setCurrentWidget(dialog->order());
    auto* o = dialog->order();
    o->from()->setFocus();
    QTest::keyClicks(o->from(), "2027-03-01");
    QTest::keyClick(o->from(), Qt::Key_Return);
    ASSERT_TRUE(o->schedule());
    EXPECT_EQ(isoDay(o->schedule()->from), "2027-03-01");
    const Day end = o->schedule()->end;
    const int furniture = rowOf(o->table(), "furniture");
    ASSERT_GE(furniture, 0);
    o->table()->item(furniture, 5)->setText("3");
    EXPECT_GT(o->schedule()->end, end);
    EXPECT_TRUE(dialog->told().contains("moves")) << dialog->told().toStdString();
    QTemporaryDir folder;
    for (const char* name : {"o.ics", "o.csv"}) {
        ASSERT_TRUE(o->writeTo(folder.filePath(name)));
        const auto before = jobText(*session().project());
        ASSERT_TRUE(o->readFrom(folder.filePath(name)));
        EXPECT_EQ(jobText(*session().project()), before) << name;
    }
}

TEST_F(HandoverWindow, TheFloorIsMarkedStepByStep) {
    dialog->tabs()->setCurrentWidget(dialog->tape());
    auto* steps = dialog->tape()->steps();
    ASSERT_GT(steps->count(), 20);
    EXPECT_EQ(steps->currentRow(), 0);
    auto* done = dialog->findChild<QPushButton*>("tapeDone");
    QTest::mouseClick(done, Qt::LeftButton);
    EXPECT_EQ(steps->item(0)->checkState(), Qt::Checked);
    EXPECT_EQ(steps->currentRow(), 1);
    // A change that moves nothing keeps the ticks.
    session().sayLine("budget 900");
    EXPECT_EQ(steps->item(0)->checkState(), Qt::Checked);
    EXPECT_EQ(steps->currentRow(), 1);
}

TEST_F(HandoverWindow, WhatWasBuiltIsKeptAskedAboutAndTaken) {
    dialog->tabs()->setCurrentWidget(dialog->built());
    auto* b = dialog->built();
    const auto type = [&](const char* line) {
        b->line()->setFocus();
        b->line()->clear();
        QTest::keyClicks(b->line(), line);
        QTest::keyClick(b->line(), Qt::Key_Return);
    };
    type("sideboard 2 from wall A");
    ASSERT_EQ(b->table()->rowCount(), 1);
    // Farther off than anybody builds: it is asked about, and kept when one is sure.
    type("sideboard 60 from wall A");
    EXPECT_TRUE(b->sure()->isVisible());
    EXPECT_EQ(session().project()->handover->built.size(), 1U);
    EXPECT_NEAR(session().project()->handover->built[0].built.inInches(), 2, 1e-9);
    type("sideboard 3 from wall A");
    EXPECT_FALSE(b->sure()->isVisible());
    EXPECT_EQ(b->table()->rowCount(), 1);
    b->table()->selectRow(0);
    ASSERT_TRUE(b->takeAsItIs());
    EXPECT_EQ(b->table()->item(0, 4)->text(), "as planned");
    type("nonsense");
    EXPECT_FALSE(dialog->told().isEmpty());
    EXPECT_EQ(b->table()->rowCount(), 1);
}

TEST_F(HandoverWindow, TheBookIsMadeForWhoItIsFor) {
    QTemporaryDir folder;
    dialog->tabs()->setCurrentIndex(4);
    auto* reader = dialog->findChild<QComboBox*>("bookReader");
    reader->setCurrentIndex(reader->findText("the electrician"));
    EXPECT_EQ(dialog->asked().reader, sheets::Reader::electrician);
    auto* chapters = dialog->findChild<QListWidget*>("bookChapters");
    ASSERT_GT(chapters->count(), 2);
    chapters->item(chapters->count() - 1)->setCheckState(Qt::Unchecked);
    EXPECT_EQ(dialog->asked().leftOut.size(), 1U);
    ASSERT_TRUE(window->bookTo(folder.filePath("book.pdf"), dialog->asked()));
    EXPECT_GT(QFile(folder.filePath("book.pdf")).size(), 10000);
}

TEST_F(HandoverWindow, ABookIsAskedForAgainAsItWasLast) {
    dialog->tabs()->setCurrentIndex(4);
    const auto box = [&](const char* name) { return dialog->findChild<QComboBox*>(name); };
    box("bookReader")->setCurrentIndex(box("bookReader")->findText("the client"));
    box("bookPaper")->setCurrentIndex(box("bookPaper")->findText("A3"));
    auto* chapters = dialog->findChild<QListWidget*>("bookChapters");
    const QString out = chapters->item(0)->text();
    chapters->item(0)->setCheckState(Qt::Unchecked);
    QTest::mouseClick(dialog->findChild<QPushButton*>("bookMake"), Qt::LeftButton);
    const auto& prints = window->session().project()->prints;
    ASSERT_EQ(prints.count("book for client"), 1U);
    EXPECT_EQ(prints.at("book for client").paper, "A3");
    EXPECT_EQ(prints.at("book for client").leftOut.size(), 1U);
    // Another reader's is his own, and the client's comes back.
    box("bookReader")->setCurrentIndex(box("bookReader")->findText("the shop"));
    EXPECT_EQ(box("bookPaper")->currentText(), "The job's own");
    box("bookReader")->setCurrentIndex(box("bookReader")->findText("the client"));
    EXPECT_EQ(box("bookPaper")->currentText(), "A3");
    EXPECT_EQ(chapters->item(0)->text(), out);
    EXPECT_EQ(chapters->item(0)->checkState(), Qt::Unchecked);
    EXPECT_EQ(dialog->asked().leftOut.size(), 1U);
    EXPECT_TRUE(dialog->asked().options.paper);
}

TEST_F(HandoverWindow, TheHandbookIsSearchedAndOpensWhereOneIs) {
    HandbookDialog book(*session().project()->library.book, session().project()->notation.units);
    EXPECT_EQ(book.pages(), 10);
    ASSERT_TRUE(book.showPage("walls"));
    EXPECT_TRUE(book.text()->toPlainText().contains("picture"));
    book.search()->setText("sawtooth");
    ASSERT_GT(book.list()->count(), 0);
    book.list()->setCurrentRow(0);
    EXPECT_EQ(book.text()->textCursor().selectedText().toLower(), "sawtooth");
    book.search()->setText("no such word at all");
    EXPECT_EQ(book.list()->count(), 1);
    EXPECT_FALSE(book.showPage("nothing"));
}

TEST_F(HandoverWindow, TheHandbookSpeaksTheLanguageAndTheUnitsOfTheJob) {
    const auto own =
        readTextFile(std::filesystem::path(MEZZET_TEST_DATA) / "texts/de.json", 1U << 22U);
    ASSERT_TRUE(own);
    const auto german = readTexts(*own, "de.json");
    ASSERT_TRUE(german);
    speak(*german);
    {
        HandbookDialog book(*inUnits(session().project()->library, Units::centimetres).book,
                            Units::centimetres);
        EXPECT_EQ(book.pages(), 10);
        for (const auto& [page, says] :
             {std::pair{"walls", "Eine Wand in der Übersicht anklicken"},
              std::pair{"line", "Was man sagen würde"}, std::pair{"rules", "30 bis 45 cm"},
              std::pair{"job-file", "Die Auftragsdatei"}, std::pair{"kit", "Der Katalog"},
              std::pair{"limits", "Was jeder Leser nimmt"}}) {
            ASSERT_TRUE(book.showPage(page));
            EXPECT_TRUE(book.text()->toPlainText().contains(says)) << page;
        }
    }
    speak({});
    HandbookDialog book(*session().project()->library.book, Units::inches);
    ASSERT_TRUE(book.showPage("rules"));
    EXPECT_TRUE(book.text()->toPlainText().contains("12 to 18 in"));
}
