// No text of the window is left out of a language: it is driven in one in which every text is
// marked, and whatever is shown without a mark, and is neither a name nor a figure, was never asked
// for.
#include "app/dialogs/dress_dialog.h"
#include "app/dialogs/finder.h"
#include "app/dialogs/fit_dialog.h"
#include "app/dialogs/layout_dialog.h"
#include "app/dialogs/mend_dialog.h"
#include "app/dialogs/sheet_dialog.h"
#include "app/dialogs/signs_dialog.h"
#include "app/handover/handover_dialog.h"
#include "app/look/style.h"
#include "app/look/tr.h"
#include "app/measure/measure_screen.h"
#include "app/measure/trace_screen.h"
#include "app/window/main_window.h"
#include "edit/line.h"
#include "judge/rule_code.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/paper.h"
#include "speech/speech.h"

#include <QAbstractButton>
#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QGroupBox>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QTabBar>
#include <QTableWidget>
#include <QTest>

#include <gtest/gtest.h>

#include <fstream>
#include <map>
#include <mutex>

using namespace mezzet;
using namespace mezzet::app;

namespace {

constexpr const char* mark = "¤";

/// Every text with a mark before it; what is put into it stays as it is.
std::string_view marked(std::string_view english) {
    static std::map<std::string, std::string, std::less<>> all;
    static std::mutex alone;
    const std::lock_guard held(alone);
    auto it = all.find(english);
    if (it == all.end())
        it = all.emplace(std::string(english), mark + std::string(english)).first;
    return it->second;
}

class Marked : public testing::Test {
protected:
    static void SetUpTestSuite() {
        speak(marked);
        installTexts(*QCoreApplication::instance());
    }
    void SetUp() override {
        window = std::make_unique<MainWindow>(*loadLibrary(MEZZET_TEST_DATA));
        window->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(window.get()));
        window->openDemo(0);
        settle();
    }
    static void settle() {
        for (int i = 0; i < 40; ++i)
            QApplication::processEvents(QEventLoop::AllEvents, 5);
    }

    /// Names of the job, and the words of the line's own language, are in no language.
    bool isName(const QString& text) const {
        const auto& job = *window->session().project();
        const auto folded = foldCase(text.toStdString());
        for (const auto& s : job.schemes) {
            if (folded == foldCase(s->name))
                return true;
            for (const Piece& p : s->pieces)
                if (folded.starts_with(foldCase(p.name)))
                    return true;
            for (const auto& z : s->zones)
                if (folded == foldCase(z.name))
                    return true;
        }
        for (const KindPtr& k : job.library.kit->kinds())
            if (folded == foldCase(k->name))
                return true;
        for (const auto& room : job.rooms)
            if (folded.starts_with(foldCase(room->name)))
                return true;
        return folded.find("lantern row") != std::string::npos || folded == "mezzet";
    }

    /// What is to be typed: the line speaks one language.
    static bool isOfTheLine(const QString& text) {
        static const QRegularExpression lines(
            "^(armchair 30 x 33|stack of 5 navy books.*|does sofa .* fit|where sideboard .*|table|"
            "rug for seats|(picture over|mirror on wall|ledge behind|sofa on wall) .*|English|"
            "Deutsch)$");
        return lines.match(text).hasMatch();
    }

    void look(const QString& where, const QString& what, const QString& text) {
        static const QRegularExpression words("[A-Za-z]{3,}");
        static const QRegularExpression keys(
            "^(Ctrl|Shift|Alt|Esc|Tab|Return|Enter|Del|F[0-9]+|[+, ])+$");
        QString plain = text;
        plain.remove(QRegularExpression("<[^>]*>")).remove('&');
        if (!words.match(plain).hasMatch() || plain.contains(mark) ||
            keys.match(plain).hasMatch() || isName(plain) || isOfTheLine(plain))
            return;
        left.insert((where + ", " + what + ": " + plain.left(90)).toStdString());
    }

    void lookAt(const QString& where, QWidget& all) {
        look(where, "title", all.windowTitle());
        for (auto* a : all.findChildren<QAction*>()) {
            look(where, "act", a->text());
            look(where, "tip", a->toolTip());
        }
        auto widgets = all.findChildren<QWidget*>();
        widgets << &all;
        for (auto* w : widgets) {
            if (!w->isVisibleTo(&all))
                continue;
            look(where, "accessible " + w->objectName(), w->accessibleName());
            look(where, "tip", w->toolTip());
            if (auto* l = qobject_cast<QLabel*>(w))
                look(where, "label " + w->objectName(), l->text());
            // A tie is told as it can be said.
            if (auto* b = qobject_cast<QAbstractButton*>(w);
                b != nullptr && b->objectName() != "tie")
                look(where, "button " + w->objectName(), b->text());
            if (auto* e = qobject_cast<QLineEdit*>(w))
                look(where, "field", e->placeholderText());
            if (auto* t = qobject_cast<QTabBar*>(w))
                for (int i = 0; i < t->count(); ++i)
                    look(where, "tab", t->tabText(i));
            if (auto* g = qobject_cast<QGroupBox*>(w))
                look(where, "group", g->title());
            if (auto* t = qobject_cast<QTableWidget*>(w))
                for (int i = 0; i < t->columnCount(); ++i)
                    if (t->horizontalHeaderItem(i) != nullptr)
                        look(where, "heading", t->horizontalHeaderItem(i)->text());
        }
    }
    void lookAtDialog(const QString& where, QDialog& dialog) {
        dialog.setModal(false);
        static_cast<QWidget&>(dialog).show();
        settle();
        lookAt(where, dialog);
        dialog.close();
    }
    void TearDown() override {
        for (const auto& text : left)
            ADD_FAILURE() << "not asked for: " << text;
    }

    std::unique_ptr<MainWindow> window;
    std::set<std::string> left;
};

TEST_F(Marked, TheMarkIsSeen) {
    EXPECT_TRUE(window->act("save")->text().startsWith(mark));
    QLabel nobody("Nobody asked for this");
    nobody.show();
    lookAt("a label of nobody", nobody);
    EXPECT_EQ(left.size(), 1U);
    left.clear();
}

TEST_F(Marked, TheWindowWithItsMenus) {
    lookAt("start", *window);
    auto& session = window->session();
    session.select({session.project()->scheme().pieces.front().id});
    settle();
    lookAt("a piece chosen", *window);
    session.goTo(onWall(0));
    settle();
    lookAt("a wall", *window);
    for (const Piece& p : session.project()->scheme().pieces)
        if (p.onWall()) {
            session.goTo(onWall(p.wall()));
            session.select({p.id});
            break;
        }
    settle();
    lookAt("what hangs", *window);
    session.goTo(theCeiling());
    settle();
    lookAt("the ceiling", *window);
}

TEST_F(Marked, KindsAreShownByTheirOwnNameAndTellTheLines) {
    auto* list = window->findChild<QListWidget*>("pieces");
    ASSERT_NE(list, nullptr);
    const auto found = list->findItems(QString(mark) + "Armchair", Qt::MatchExactly);
    ASSERT_EQ(found.size(), 1);
    EXPECT_TRUE(found.front()->toolTip().contains("armchair"));
}

TEST_F(Marked, TheDialogs) {
    auto& session = window->session();
    const auto open = [&](const char* name, auto&& dialog) { lookAtDialog(name, dialog); };
    open("what fits", FitDialog(session, window.get()));
    open("mend", MendDialog(session, window.get()));
    open("hand over", HandoverDialog(session, window.get()));
    open("lights", LayoutDialog(session, window.get()));
    open("dress", DressDialog(session, window.get()));
    open("signs", SignsDialog(session.project()->notation, window.get()));
    open("trace", TraceScreen(Units::centimetres, window.get()));
}

TEST_F(Marked, WhatALineSays) {
    // Problems and what is told of them, of a few lines of every sort.
    auto& session = window->session();
    const Project& job = *session.project();
    for (const char* line :
         {"sofa against wall Q", "sofa thither", "remove nothing", "make sofa 900 wide",
          "what is wrong?", "how big is the room?", "undo the", "4 of them", "colour"}) {
        const auto said = readSpoken(line, job, {});
        const auto text = said ? said->answer.words : said.problem().sentence();
        if (!text.empty() && text.find(mark) == std::string::npos)
            left.insert(std::string("“") + line + "”: " + text);
    }
}

} // namespace

int main(int argc, char** argv) {
    testing::InitGoogleTest(&argc, argv);
    // Nothing of the user's own is read or written.
    QStandardPaths::setTestModeEnabled(true);
    QApplication application(argc, argv);
    QApplication::setApplicationName("mezzet-test");
    QApplication::setOrganizationName("mezzet-test");
    QApplication::setStyle("Fusion");
    mezzet::sheets::loadFonts();
    mezzet::app::useTheme(false);
    return RUN_ALL_TESTS();
}
