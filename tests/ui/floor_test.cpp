// Judging the floor in the real window: ways and room in use shown, what fits, mending all, finding
// anything, schemes side by side, guests, snapping, several pieces at once, own kinds.
#include "app/dialogs/compare_view.h"
#include "app/dialogs/finder.h"
#include "app/dialogs/fit_dialog.h"
#include "app/dialogs/mend_dialog.h"
#include "ui/open_window.h"

#include <QElapsedTimer>
#include <QInputDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QTemporaryDir>
#include <QTimer>

#include <gtest/gtest.h>

#include <cstdlib>

using namespace mezzet;
using namespace mezzet::app;

namespace {

class FloorStory : public test::OpenWindow {
protected:
    void SetUp() override {
        // The studio's files of the tests are their own.
        qputenv("MEZZET_STUDIO", studio.path().toUtf8());
        OpenWindow::SetUp();
    }
    template <class Done> static void waitFor(Done done) {
        // As long as it takes with sanitizers and other work beside it.
        QElapsedTimer since;
        since.start();
        while (!done() && since.elapsed() < 180000)
            QTest::qWait(5);
        EXPECT_TRUE(done());
    }
    static void answer(const QString& text) {
        QTimer::singleShot(50, [text] {
            for (auto* w : QApplication::topLevelWidgets())
                if (auto* d = qobject_cast<QInputDialog*>(w)) {
                    d->setTextValue(text);
                    d->accept();
                }
        });
    }
    bool say(const char* line) { return session().sayLine(line); }
    QImage picture() { return board()->grab().toImage(); }

    QTemporaryDir studio;
};

} // namespace

TEST_F(FloorStory, WaysUseViewsAndZonesAreShownOnDemand) {
    say("scheme 2");
    settled();
    const auto plain = picture();
    for (const char* name : {"showWays", "showUse", "showView", "showZones"}) {
        auto* a = window->act(name);
        ASSERT_NE(a, nullptr) << name;
        a->trigger();
        settle();
        EXPECT_TRUE(a->isChecked()) << name;
        EXPECT_NE(picture(), plain) << name;
        a->trigger();
        settle();
        EXPECT_EQ(picture(), plain) << name << " is taken away again";
    }
    // The way to one seat, when that is chosen.
    session().select({id("Sofa")});
    window->act("showWays")->trigger();
    settle();
    EXPECT_NE(picture(), plain);
}

TEST_F(FloorStory, TheLightAtNightIsFoundBesideTheWindow) {
    say("light this room evenly");
    say("light zone All is recessed lights");
    say("scene Low is All 10 %");
    const auto plain = picture();
    window->act("showLight")->trigger();
    (void)picture();
    waitFor([&] { return window->board()->lightFound(); });
    const auto full = picture();
    EXPECT_NE(full, plain);
    // A scene turned down is darker, and told.
    window->act("lightNext")->trigger();
    (void)picture();
    waitFor([&] { return window->board()->lightFound(); });
    EXPECT_NE(picture(), full);
    window->act("lightNext")->trigger();
    (void)picture();
    waitFor([&] { return window->board()->lightFound(); });
    EXPECT_EQ(picture(), full);
    window->act("showLight")->trigger();
    settle();
    EXPECT_EQ(picture(), plain);
}

TEST_F(FloorStory, WhatFitsIsAskedAndTried) {
    FitDialog dialog(session());
    dialog.show();
    dialog.ask("rug for seats");
    waitFor([&] { return !dialog.answering() && dialog.answer().has_value(); });
    ASSERT_FALSE(dialog.answer()->choices.empty());
    const auto count = session().project()->scheme().pieces.size();
    QTest::mouseClick(dialog.findChild<QPushButton*>("tryIt"), Qt::LeftButton);
    settle();
    EXPECT_EQ(session().project()->scheme().pieces.size(), count + 1);
    session().undo();
    // A question it can't take is pointed at.
    FitDialog other(session());
    other.show();
    other.ask("elephant");
    waitFor([&] { return !other.answering(); });
    EXPECT_FALSE(other.answer());
    // Where a piece can stand is marked on the board until something changes.
    std::vector<AllowedRegion> found;
    QObject::connect(&other, &FitDialog::regionsFound,
                     [&](const std::vector<AllowedRegion>& r) { found = r; });
    other.ask("where console 36 x 12");
    waitFor([&] { return !other.answering() && other.answer().has_value(); });
    EXPECT_FALSE(found.empty());
    const auto plain = picture();
    board()->setRegions(found);
    EXPECT_NE(picture(), plain);
    say("move floor plant 1 left");
    settled();
    board()->setRegions({});
}

TEST_F(FloorStory, AllThatCanBeIsMendedAndShownFirst) {
    const auto before = session().toMend();
    const auto text = jobText(*session().project());
    MendDialog dialog(session());
    dialog.show();
    waitFor([&] { return !dialog.looking() && dialog.found().has_value(); });
    ASSERT_TRUE(dialog.found());
    EXPECT_EQ(jobText(*session().project()), text) << "nothing is done before it is shown";
    EXPECT_EQ(dialog.found()->before, before);
    if (dialog.takeButton()->isEnabled()) {
        const int after = dialog.found()->after;
        QTest::mouseClick(dialog.takeButton(), Qt::LeftButton);
        settled();
        EXPECT_EQ(session().toMend(), after);
        EXPECT_LE(after, before);
        session().undo();
        EXPECT_EQ(session().toMend(), before) << "one step back";
    }
}

TEST_F(FloorStory, MendingIsSaidAndDoneBesideTheWindow) {
    const auto text = jobText(*session().project());
    EXPECT_TRUE(say("mend coat stand"));
    EXPECT_TRUE(session().findingRemedies());
    settled();
    EXPECT_NE(jobText(*session().project()), text);
    session().undo();
    // What changes meanwhile is kept, and what was said is done on the job as it is then.
    say("mend coat stand");
    say("move floor plant 1 left");
    const auto moved = jobText(*session().project());
    settled();
    EXPECT_NE(jobText(*session().project()), moved);
    session().undo();
    EXPECT_EQ(jobText(*session().project()), moved);
}

TEST_F(FloorStory, RemediesTellWhatTheyMendAndUpset) {
    session().select({id("Supper table")});
    settled();
    bool told = false;
    for (auto* c : window->tape()->cards())
        for (auto* l : c->findChildren<QLabel*>())
            told = told || l->text().startsWith("But then") || l->text().startsWith("Mends too");
    EXPECT_TRUE(told);
}

TEST_F(FloorStory, AnythingIsFoundByAFewLetters) {
    Finder finder(session(), window->findChildren<QAction*>());
    finder.show();
    const auto first = [&](const char* typed) {
        finder.box()->setText(typed);
        return finder.list()->count() > 0 ? finder.list()->item(0)->text() : QString();
    };
    EXPECT_EQ(first("night"), "Night theme");
    EXPECT_EQ(first("wing chair, l"), "Wing chair, left");
    EXPECT_EQ(first("sofa to"), "Sofa to the hearth");
    EXPECT_EQ(first("dresser"), "Dresser");
    EXPECT_TRUE(first("walkway-mi").startsWith("walkway-minor"));
    finder.box()->setText("zzzz");
    EXPECT_EQ(finder.list()->count(), 0);
    finder.box()->setText("wing chair, left");
    QTest::keyClick(finder.box(), Qt::Key_Return);
    EXPECT_EQ(session().selected(), std::vector<int>{id("Wing chair, left")});
    EXPECT_FALSE(finder.isVisible());
    // A kind goes on the line.
    Finder again(session(), window->findChildren<QAction*>());
    QString line;
    QObject::connect(&again, &Finder::lineWanted, [&](const QString& l) { line = l; });
    again.show();
    again.box()->setText("dresser");
    QTest::keyClick(again.box(), Qt::Key_Return);
    EXPECT_EQ(line, "add dresser ");
}

TEST_F(FloorStory, SchemesLieSideBySideAtOneScale) {
    CompareView beside(session());
    beside.open();
    settle();
    ASSERT_EQ(beside.shown().size(), 3U);
    EXPECT_EQ(beside.shown()[0].name, "Round supper table");
    EXPECT_LT(beside.shown()[1].toMend, beside.shown()[0].toMend);
    const auto here = session().project()->schemesHere();
    beside.show({here[0], here[2]});
    EXPECT_EQ(beside.shown().size(), 2U);
    EXPECT_FALSE(beside.grab().isNull());
    bool goes = false;
    for (auto* b : beside.findChildren<QPushButton*>())
        if (b->text() == "Go to it" && !goes) {
            goes = true;
            QTest::mouseClick(b, Qt::LeftButton);
        }
    EXPECT_TRUE(goes);
    EXPECT_EQ(session().project()->scheme().name, "Long table, window side");
}

TEST_F(FloorStory, TheArrangementForGuestsIsSwitchedAtTheFoot) {
    say("scheme 2");
    settled();
    auto* sw = window->schemes()->findChild<QPushButton*>("arrangement");
    ASSERT_NE(sw, nullptr);
    EXPECT_EQ(sw->text(), "Every day");
    const auto by = pose("Ottoman 1").at;
    QTest::mouseClick(sw, Qt::LeftButton);
    settled();
    EXPECT_EQ(session().project()->scheme().arrangement, Arrangement::guests);
    EXPECT_GT(norm(pose("Ottoman 1").at - by), 300);
    EXPECT_TRUE(window->act("guests")->isChecked());
    window->act("guests")->trigger();
    settled();
    EXPECT_EQ(pose("Ottoman 1").at, by);
}

TEST_F(FloorStory, ADragSnapsToWhatItLinesUpWithAndTheTieIsKept) {
    // A room with so much floor that no snap is in anyone's way.
    session().open(*newProject(session().library(), "wall A 30'\nwall B 24'\nwall C 30'\nwall D "
                                                    "24'"),
                   {});
    say("round table 44 called Supper table at 12', 8'");
    say("add trunk 40 x 18 x 20 called Chest at 20', 16'");
    settled();
    session().select({});
    const auto from = on("Chest");
    const QPoint to(on("Supper table").x() + 3, from.y() + 2);
    QTest::mousePress(board(), Qt::LeftButton, {}, from);
    move(from + QPoint(8, 0), Qt::LeftButton);
    move(to, Qt::LeftButton);
    ASSERT_TRUE(board()->snap()) << "nothing is offered";
    EXPECT_NE(board()->snap()->words.find("centred on"), std::string::npos)
        << board()->snap()->words;
    EXPECT_FALSE(board()->grab().isNull());
    QTest::mouseRelease(board(), Qt::LeftButton, {}, to);
    settled();
    const auto& ties = session().project()->scheme().byName("Chest")->ties;
    EXPECT_TRUE(std::any_of(ties.begin(), ties.end(),
                            [](const Tie& t) { return t.kind == Tie::Kind::centredOn; }));
    EXPECT_FALSE(board()->snap());
    // Alt leaves it to the hand.
    session().undo();
    settled();
    QTest::mousePress(board(), Qt::LeftButton, {}, from);
    move(from + QPoint(8, 0), Qt::LeftButton, Qt::AltModifier);
    move(to, Qt::LeftButton, Qt::AltModifier);
    EXPECT_FALSE(board()->snap());
    QTest::mouseRelease(board(), Qt::LeftButton, Qt::AltModifier, to);
}

TEST_F(FloorStory, SeveralPiecesAreSizedAndLinedUpAtOnce) {
    session().select({id("Supper chair 1"), id("Supper chair 2"), id("Supper chair 3")});
    settled();
    auto* size = window->tape()->findChild<QLineEdit*>("sizeOfAll");
    ASSERT_NE(size, nullptr);
    size->setText("19 x 21");
    QTest::keyClick(size, Qt::Key_Return);
    settled();
    for (const char* n : {"Supper chair 1", "Supper chair 2", "Supper chair 3"})
        EXPECT_NEAR(session().project()->scheme().byName(n)->size.width.inInches(), 19, 1e-9) << n;
    session().select({id("Sideboard"), id("Low bookcase")});
    settled();
    window->act("alignFronts")->trigger();
    settled();
    const auto& scene = *session().scene();
    EXPECT_NEAR(extent(scene.byId(id("Low bookcase"))->shape, {0, 1}),
                extent(scene.byId(id("Sideboard"))->shape, {0, 1}), 0.01);
    answer("Storage");
    window->act("zone")->trigger();
    EXPECT_NE(session().project()->scheme().zone("storage"), nullptr);
}

TEST_F(FloorStory, AReasonAndACostAreNotedAtAChoice) {
    session().select({id("Sofa")});
    settled();
    auto* why = window->tape()->findChild<QLineEdit*>("reason");
    ASSERT_NE(why, nullptr);
    why->setText("it faces the fire");
    window->tape()->findChild<QLineEdit*>("cost")->setText("1,450");
    QTest::keyClick(why, Qt::Key_Return);
    settled();
    EXPECT_EQ(session().project()->scheme().byName("Sofa")->reason, "it faces the fire");
    EXPECT_EQ(session().project()->scheme().byName("Sofa")->cost, 1450);
    window->tape()->findChild<QLineEdit*>("cost")->setText("a lot");
    QTest::keyClick(window->tape()->findChild<QLineEdit*>("cost"), Qt::Key_Return);
    settled();
    EXPECT_EQ(session().project()->scheme().byName("Sofa")->cost, 1450) << "and says why not";
}

TEST_F(FloorStory, OwnKindsAreKeptTakenInAndWrittenOut) {
    session().select({id("Sofa")});
    answer("Lantern sofa");
    window->act("keepKind")->trigger();
    ASSERT_TRUE(session().library().kit->byWord("lantern sofa"));
    EXPECT_TRUE(say("add lantern sofa called Own one at 9', 3'"));
    QTemporaryDir dir;
    const auto csv = dir.filePath("kit.csv");
    EXPECT_TRUE(window->exportKinds(csv));
    QFile f(dir.filePath("own.csv"));
    ASSERT_TRUE(f.open(QIODevice::WriteOnly));
    f.write("name,width_in,depth_in,height_in\nRiver sideboard,66,19,33\n");
    f.close();
    EXPECT_TRUE(window->importKinds(f.fileName()));
    EXPECT_TRUE(session().library().kit->byWord("river sideboard"));
    EXPECT_TRUE(session().library().kit->byWord("lantern sofa"));
    QFile bad(dir.filePath("bad.csv"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("name,width_in\nX,wide\n");
    bad.close();
    EXPECT_FALSE(window->importKinds(bad.fileName()));
    // The next start has them.
    const auto again = withStudio(*loadLibrary(MEZZET_TEST_DATA), studioFolder());
    ASSERT_TRUE(again);
    EXPECT_TRUE(again->kit->byWord("river sideboard"));
    say("band seat-to-table 10 to 14");
    window->act("keepBands")->trigger();
    EXPECT_TRUE(withStudio(*loadLibrary(MEZZET_TEST_DATA), studioFolder())->studio);
}

TEST_F(FloorStory, WhatIsToMendIsWalkedByWeight) {
    session().select({});
    window->act("nextMend")->trigger();
    ASSERT_EQ(session().selected().size(), 1U);
    const int first = session().selected().front();
    double heaviest = 0;
    int about = 0;
    for (const auto& r : session().readings())
        if (weightOf(r) > heaviest && r.piece != 0) {
            heaviest = weightOf(r);
            about = r.piece;
        }
    EXPECT_EQ(first, about);
    settled();
    session().select({});
    settled();
    double last = 1e9;
    for (auto* c : window->tape()->cards()) {
        const double w = weightOf(session().readings()[c->reading()]);
        EXPECT_LE(w, last + 1e-9);
        last = w;
    }
}

TEST_F(FloorStory, AccessAndBriefAreSwitchedFromTheMenu) {
    window->act("access")->trigger();
    settled();
    EXPECT_TRUE(session().project()->judgement.access);
    EXPECT_TRUE(std::any_of(session().readings().begin(), session().readings().end(),
                            [](const Reading& r) { return r.rule->id == "turning-circle"; }));
    window->act("access")->trigger();
    settled();
    EXPECT_FALSE(session().project()->judgement.access);
    window->act("mirrorAcross")->trigger();
    settled();
    EXPECT_TRUE(session().canUndo());
    session().undo();
}
