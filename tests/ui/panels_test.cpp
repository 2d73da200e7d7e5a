// The panels one by one: scheme strip, tape, list, notes and sheet dialogs, menus, the key.
#include "app/dialogs/sheet_dialog.h"
#include "app/look/style.h"
#include "app/measure/measure_screen.h"
#include "measure/text.h"
#include "ui/open_window.h"

#include <QApplication>
#include <QComboBox>
#include <QInputDialog>
#include <QLabel>
#include <QListWidget>
#include <QMenuBar>
#include <QPushButton>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

#include <gtest/gtest.h>

#include <set>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class Panels : public test::OpenWindow {
protected:
    /// Answers the next question of a dialog with some text.
    static void answer(const QString& text) {
        QTimer::singleShot(50, [text] {
            for (auto* w : QApplication::topLevelWidgets()) {
                if (auto* d = qobject_cast<QInputDialog*>(w)) {
                    d->setTextValue(text);
                    d->accept();
                }
            }
        });
    }
};

} // namespace

TEST_F(Panels, TheLineShowsWhatItIsAskedFor) {
    ASSERT_TRUE(session().sayLine("show me wall B"));
    EXPECT_EQ(session().surface(), onWall(1));
    ASSERT_TRUE(session().sayLine("look at the ceiling"));
    EXPECT_EQ(session().surface(), theCeiling());
    const auto was = session().project();
    ASSERT_TRUE(session().sayLine("show me the floor"));
    EXPECT_EQ(session().surface(), theFloor());
    EXPECT_EQ(session().project(), was) << "nothing is changed by looking";
}

TEST_F(Panels, AnAnswerThatMarksNothingStaysUntilSomethingIsTyped) {
    session().select({session().project()->scheme().pieces.front().id});
    auto* edit = window->line()->edit();
    edit->setFocus();
    QTest::keyClicks(edit, "what is the area?");
    QTest::keyClick(edit, Qt::Key_Return);
    const auto told = [&] { return window->line()->preview().contains("The floor is"); };
    ASSERT_TRUE(QTest::qWaitFor(told, 5000)) << qPrintable(window->line()->preview());
    // Longer than the line waits before it shows what can be said of the chosen.
    QTest::qWait(600);
    EXPECT_TRUE(told()) << qPrintable(window->line()->preview());
    QTest::keyClicks(edit, "s");
    QTest::qWait(50);
    EXPECT_FALSE(told());
}

TEST_F(Panels, TheLinePrintsAndZoomsByTheWindowsOwnActs) {
    int printed = 0;
    auto* print = window->findChild<QAction*>("print:plan");
    ASSERT_NE(print, nullptr);
    print->disconnect(); // the dialog is another test's
    QObject::connect(print, &QAction::triggered, [&] { ++printed; });
    const auto pieces = session().project()->scheme().pieces.size();
    ASSERT_TRUE(session().sayLine("print it"));
    QTest::qWait(20);
    EXPECT_EQ(printed, 1);
    EXPECT_EQ(session().project()->scheme().pieces.size(), pieces) << "no print is hung";
    for (const char* act : {"zoomIn", "zoomOut", "fit", "save"})
        EXPECT_NE(window->findChild<QAction*>(act), nullptr) << act;
}

TEST_F(Panels, EveryActHasAWordAndNoTwoShareAKey) {
    std::set<QString> keys;
    int acts = 0;
    for (const auto* a : window->findChildren<QAction*>()) {
        if (a->objectName().isEmpty() || a->objectName().startsWith("_q") || a->menu() != nullptr)
            continue;
        ++acts;
        EXPECT_FALSE(a->text().isEmpty()) << qPrintable(a->objectName());
        if (!a->shortcut().isEmpty())
            EXPECT_TRUE(keys.insert(a->shortcut().toString()).second)
                << qPrintable(a->shortcut().toString());
    }
    EXPECT_GT(acts, 40);
    EXPECT_GT(keys.size(), 30U);
}

TEST_F(Panels, WithNothingSelectedTheTapeListsAllThatIsToMend) {
    session().select({});
    settled();
    EXPECT_EQ(static_cast<int>(window->tape()->cards().size()), session().toMend());
    bool first = true;
    for (const auto* c : window->tape()->cards()) {
        const auto v = session().readings()[c->reading()].verdict;
        EXPECT_TRUE(session().readings()[c->reading()].toMend());
        if (first)
            EXPECT_EQ(v, Verdict::clash) << "the heaviest first";
        first = false;
    }
}

TEST_F(Panels, SeveralSelectedShowTheReadingsOfAll) {
    session().select({id("Coffee table"), id("Coat stand")});
    settled();
    bool table = false;
    bool stand = false;
    for (const auto* c : window->tape()->cards()) {
        table = table || session().readings()[c->reading()].isAbout(id("Coffee table"));
        stand = stand || session().readings()[c->reading()].isAbout(id("Coat stand"));
    }
    EXPECT_TRUE(table && stand);
}

TEST_F(Panels, AFigureThatCantBeIsRefusedAndPutBack) {
    session().select({id("Coffee table")});
    settled();
    auto* figure = window->tape()->cards().front()->figure();
    figure->setText("nonsense");
    QTest::keyClick(figure, Qt::Key_Return);
    EXPECT_TRUE(window->line()->preview().contains("length"))
        << qPrintable(window->line()->preview());
    EXPECT_FALSE(session().canUndo());
}

TEST_F(Panels, ARatioCanBeTypedToo) {
    session().select({id("Coffee table")});
    settled();
    for (auto* c : window->tape()->cards()) {
        if (session().readings()[c->reading()].rule->id != "table-to-sofa")
            continue;
        c->figure()->setText("66 %");
        QTest::keyClick(c->figure(), Qt::Key_Return);
        break;
    }
    settled();
    EXPECT_NEAR(session().project()->scheme().byName("Coffee table")->size.width.inInches(),
                84 * 0.66, 0.3);
}

TEST_F(Panels, CautionsStandByThePiecesTheyAreAbout) {
    session().sayLine("bookcase in corner CD");
    settled();
    const auto cautions = window->tape()->findChildren<QLabel*>("caution");
    ASSERT_EQ(cautions.size(), 1);
    EXPECT_TRUE(cautions.front()->text().contains("tip"));
}

TEST_F(Panels, TheListFiltersAndShowsWhatStandsBeforeAWall) {
    auto* list = window->pieces()->list();
    const auto listed = [&] {
        int n = 0;
        for (int i = 0; i < list->count(); ++i)
            n += list->item(i)->data(Qt::UserRole).toInt() != 0 ? 1 : 0;
        return n;
    };
    EXPECT_EQ(listed(), 16);
    EXPECT_GT(list->count(), 100) << "and the kinds, to be dragged to the board";
    window->pieces()->box()->setText("supper");
    EXPECT_EQ(listed(), 5);
    window->pieces()->box()->clear();
    session().goTo(onWall(0));
    settled();
    EXPECT_LT(listed(), 16);
    EXPECT_GT(listed(), 2);
    window->pieces()->box()->setText("zzzz");
    EXPECT_EQ(list->count(), 1) << "it says that there is nothing by that name";
}

TEST_F(Panels, SelectingInTheListSelectsOnTheBoard) {
    auto* list = window->pieces()->list();
    list->clearSelection();
    list->item(3)->setSelected(true);
    EXPECT_EQ(session().selected().size(), 1U);
    list->item(5)->setSelected(true);
    EXPECT_EQ(session().selected().size(), 2U);
}

TEST_F(Panels, TheSchemeStripSwitchesAndRenames) {
    const auto were = session().project()->schemesHere().size();
    window->act("addScheme")->trigger();
    settled();
    answer("Fourth try");
    window->act("renameScheme")->trigger();
    EXPECT_EQ(session().project()->scheme().name, "Fourth try");
    session().sayLine("scheme 1");
    EXPECT_EQ(session().project()->scheme().name, "Round supper table");
    session().sayLine("scheme fourth try");
    window->act("removeScheme")->trigger();
    EXPECT_EQ(session().project()->schemesHere().size(), were);
    for (std::size_t i = 0; i + 1 < were; ++i)
        window->act("removeScheme")->trigger();
    EXPECT_EQ(session().project()->schemesHere().size(), 1U);
    window->act("removeScheme")->trigger();
    EXPECT_EQ(session().project()->schemesHere().size(), 1U) << "the last one stays";
    // What was thrown away is got back.
    EXPECT_TRUE(window->act("getBack")->isEnabled());
    session().sayLine("scheme get back fourth try");
    EXPECT_EQ(session().project()->scheme().name, "Fourth try");
}

TEST_F(Panels, TheStateLineTellsScaleUnitsAndSchool) {
    EXPECT_TRUE(window->schemes()->state()->text().contains("1/8"));
    window->act("viewer-and-air")->trigger();
    settled();
    EXPECT_TRUE(window->schemes()->state()->text().contains("viewer and air"));
    EXPECT_TRUE(window->act("viewer-and-air")->isChecked());
    window->act("units5")->trigger();
    EXPECT_TRUE(window->schemes()->state()->text().contains("mm"));
    const auto before = window->schemes()->state()->text();
    window->board()->zoomIn();
    EXPECT_NE(window->schemes()->state()->text(), before);
}

TEST_F(Panels, EveryUnitPaintsEveryView) {
    for (int u = 0; u < 7; ++u) {
        window->act(QString("units%1").arg(u))->trigger();
        std::vector<SurfaceId> surfaces{theFloor(), theCeiling()};
        for (int wall = 0; wall < 5; ++wall)
            surfaces.push_back(onWall(wall));
        for (const SurfaceId surface : surfaces) {
            session().goTo(surface);
            session().select({id("Sofa")});
            settled();
            EXPECT_FALSE(window->grab().isNull());
        }
        session().goTo(theFloor());
    }
}

TEST_F(Panels, TitleIsShownAndMarkedWhenUnsaved) {
    EXPECT_FALSE(window->windowTitle().startsWith("•"));
    session().sayLine("title Harbour flat");
    EXPECT_TRUE(window->windowTitle().startsWith("• Harbour flat"));
    QTemporaryDir dir;
    ASSERT_TRUE(window->saveTo(dir.filePath("h.mezzet")));
    EXPECT_FALSE(window->windowTitle().startsWith("•"));
    EXPECT_TRUE(window->windowTitle().contains("h.mezzet"));
    EXPECT_EQ(QSettings().value("recent").toStringList().first(), dir.filePath("h.mezzet"));
    session().sayLine("undo");
    EXPECT_TRUE(session().changed());
}

TEST_F(Panels, UndoTellsWhatItUndoes) {
    session().sayLine("size sofa 78 x 36");
    EXPECT_EQ(window->act("undo")->text(), "Undo: size Sofa");
    session().sayLine("undo");
    EXPECT_FALSE(window->act("undo")->isEnabled());
    EXPECT_EQ(window->act("redo")->text(), "Redo: size Sofa");
    session().sayLine("redo");
    EXPECT_NEAR(session().project()->scheme().byName("Sofa")->size.width.inInches(), 78, 1e-9);
    session().sayLine("undo");
    session().sayLine("lock sofa");
    EXPECT_FALSE(session().canRedo()) << "a new act ends what could be done again";
}

TEST_F(Panels, WhatWasTakenOutIsBroughtBackAndIsItNoMore) {
    const auto there = [this] { return session().project()->scheme().byName("Sofa") != nullptr; };
    QString told;
    QObject::connect(&session(), &JobSession::told, &session(),
                     [&](const QString& words, bool) { told = words; });
    ASSERT_TRUE(session().sayLine("remove the sofa"));
    EXPECT_FALSE(there());
    EXPECT_FALSE(session().sayLine("move it 6 left"));
    EXPECT_TRUE(told.contains("was taken out")) << told.toStdString();
    // The empty line still tells what can be said.
    EXPECT_FALSE(openings(*session().project(), session().listener()).empty());
    ASSERT_TRUE(session().sayLine("bring it back"));
    EXPECT_TRUE(there());
}

TEST_F(Panels, NewNotesMakeANewRoomAndCanBeUndone) {
    const auto walls = session().project()->room->walls.size();
    QTimer::singleShot(50, [] {
        for (auto* w : QApplication::topLevelWidgets()) {
            if (auto* d = qobject_cast<MeasureScreen*>(w)) {
                d->editor()->setPlainText(MeasureScreen::example());
                d->accept();
            }
        }
    });
    window->act("notes")->trigger();
    EXPECT_EQ(session().project()->room->walls.size(), 4U);
    session().undo();
    EXPECT_EQ(session().project()->room->walls.size(), walls);
}

TEST_F(Panels, NotesThatCantBeReadCantBeTaken) {
    MeasureScreen dialog(MeasureScreen::example(), false);
    auto* take = dialog.findChild<QPushButton*>("takeNotes");
    EXPECT_TRUE(take->isEnabled());
    dialog.editor()->setPlainText("wall A 10'\ncorner 999");
    EXPECT_FALSE(take->isEnabled());
    EXPECT_EQ(dialog.editor()->extraSelections().size(), 1) << "the word is marked";
    dialog.editor()->setPlainText("wall A 10'\nwall B 10'");
    EXPECT_TRUE(take->isEnabled()) << "an open room is a room under way";
}

TEST_F(Panels, TheSheetDialogAsksForWhatTheSheetAsks) {
    SheetDialog dialog(window->session().settledProject(), "plan", theFloor());
    EXPECT_FALSE(dialog.options().paper);
    EXPECT_FALSE(dialog.options().scale);
    const auto choose = [&](const QString& data) {
        for (auto* box : dialog.findChildren<QComboBox*>())
            if (const int i = box->findData(data); i >= 0)
                box->setCurrentIndex(i);
    };
    choose("A4");
    choose("1:50");
    choose("svg");
    EXPECT_EQ(dialog.options().paper->name, "A4");
    EXPECT_NEAR(dialog.options().scale->denominator, 50, 1e-9);
    EXPECT_EQ(dialog.format(), "svg");
    // The hooks have no scale, and come as a table too.
    auto* list = dialog.findChild<QListWidget*>("sheetKinds");
    ASSERT_NE(list, nullptr);
    for (int i = 0; i < list->count(); ++i)
        if (list->item(i)->data(Qt::UserRole).toString() == "hooks")
            list->setCurrentRow(i);
    EXPECT_FALSE(dialog.options().scale);
    EXPECT_EQ(dialog.format(), "svg") << "what was chosen stays";
    choose("csv");
    EXPECT_EQ(dialog.format(), "csv");
}

TEST_F(Panels, APrintThatFailsIsSaid) {
    EXPECT_FALSE(window->printTo("/no such folder/p.pdf", "plan"));
    EXPECT_FALSE(window->line()->preview().isEmpty());
    sheets::SheetOptions small;
    small.paper = sheets::paperNamed("a4");
    small.scale = sheets::readScale("1:5");
    QTemporaryDir dir;
    EXPECT_FALSE(window->printTo(dir.filePath("p.pdf"), "plan", small));
    EXPECT_TRUE(window->line()->preview().contains("doesn't fit"));
}

TEST_F(Panels, TheKeyIsWalkedByArrows) {
    window->key()->setFocus();
    for (int i = 0; i < 5; ++i) {
        QTest::keyClick(window->key(), Qt::Key_Right);
        EXPECT_EQ(session().surface(), onWall(i));
    }
    QTest::keyClick(window->key(), Qt::Key_Right);
    EXPECT_EQ(session().surface(), theCeiling());
    QTest::keyClick(window->key(), Qt::Key_Right);
    EXPECT_EQ(session().surface(), theFloor());
    QTest::keyClick(window->key(), Qt::Key_Left);
    EXPECT_EQ(session().surface(), theCeiling());
    window->board()->setFocus();
    QTest::keyClick(window->board(), Qt::Key_Escape);
    QTest::keyClick(window->board(), Qt::Key_Escape);
    EXPECT_EQ(session().surface(), theFloor());
}

TEST_F(Panels, AnOpenRoomIsShownOpenAndSaysSo) {
    auto job = newProject(session().library(), "wall A 12'\nwall B 10'\nwall C 14'\nwall D 10'");
    session().open(*job, {});
    settled();
    EXPECT_FALSE(window->grab().isNull());
    bool said = false;
    for (const auto* l : window->tape()->findChildren<QLabel*>())
        said = said || l->text().contains("doesn't close");
    EXPECT_TRUE(said);
    ASSERT_TRUE(session().sayLine("sofa against wall A"));
}

TEST_F(Panels, ContrastIsEnoughInBothThemes) {
    // WCAG 2.1, 1.4.3: 4.5 to 1 for text. Relative luminance as defined there.
    const auto luminance = [](const QColor& c) {
        const auto channel = [](double v) {
            return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
        };
        return 0.2126 * channel(c.redF()) + 0.7152 * channel(c.greenF()) +
               0.0722 * channel(c.blueF());
    };
    const auto ratio = [&](const QColor& a, const QColor& b) {
        const double x = luminance(a);
        const double y = luminance(b);
        return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
    };
    for (const auto* l : {&sheets::dayLook(), &sheets::nightLook()}) {
        for (const auto& ground : {l->panel, l->field, l->board}) {
            EXPECT_GT(ratio(l->ink, ground), 7.0);
            for (const auto& text : {l->soft, l->right, l->tight, l->loose})
                EXPECT_GT(ratio(text, ground), 4.5)
                    << qPrintable(text.name()) << " on " << qPrintable(ground.name());
        }
        EXPECT_GT(ratio(l->onInk, l->ink), 7.0);
        for (int f = 0; f < 8; ++f)
            EXPECT_GT(ratio(l->ink, l->wash(static_cast<Family>(f))), 4.5) << f;
    }
}
