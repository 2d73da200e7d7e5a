// Nothing that was typed is lost, and nothing that is shown is more than what it is.
#include "app/measure/measure_screen.h"
#include "open_window.h"

#include <QAbstractButton>
#include <QDir>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QMessageBox>
#include <QPlainTextEdit>
#include <QTemporaryDir>
#include <QTimer>

using namespace mezzet;
using namespace mezzet::app;
using namespace mezzet::test;

namespace {

/// Presses the button with this text in the next question; what it asked is kept.
void answerNext(const QString& button, QString* asked = nullptr) {
    auto* timer = new QTimer(qApp);
    timer->setInterval(20);
    QObject::connect(timer, &QTimer::timeout, timer, [=] {
        auto* box = qobject_cast<QMessageBox*>(QApplication::activeModalWidget());
        if (box == nullptr)
            return;
        timer->deleteLater();
        if (asked != nullptr)
            *asked = box->text();
        for (auto* b : box->buttons())
            if (b->text().remove('&') == button) {
                b->click();
                return;
            }
        box->reject();
        ADD_FAILURE() << "no button " << button.toStdString();
    });
    timer->start();
}

class SafeWindow : public OpenWindow {
protected:
    QTemporaryDir folder;
    QString at(const char* name) { return folder.filePath(name); }
};

} // namespace

TEST(NewJob, AClickOnTheGreyRowDoesNothing) {
    // Everything is taped, so that the list only says that nothing is left to measure.
    MeasureScreen screen("room Den\nceiling 8'\nwall A 14'\nwall B 12'\nwall C 14'\nwall D 12'\n",
                         true, nullptr, nullptr);
    screen.show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(&screen));
    auto* list = screen.findChild<QListWidget*>("missing");
    ASSERT_NE(list, nullptr);
    for (int row = 0; row < list->count(); ++row) {
        const auto r = list->visualItemRect(list->item(row));
        QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, r.center());
        QTest::mouseDClick(list->viewport(), Qt::LeftButton, {}, r.center());
        list->setCurrentRow(row);
        QTest::keyClick(list, Qt::Key_Return);
    }
    EXPECT_TRUE(screen.notes().contains("wall A 14'"));
    screen.hide();
}

TEST_F(SafeWindow, ACopyThatCantBeKeptIsNeverTheEndOfTheOnlyOne) {
    // A copy left behind, and no room to write a new one.
    QDir().mkpath(Recovery::folder());
    const auto left = Recovery::folder() + "/999999998-1.mezzet";
    const auto job = *newProject(session().library(), "room Lost\nwall A 10'\nwall B 10'\nwall C "
                                                      "10'\nwall D 10'");
    ASSERT_TRUE(saveJob(*job, left.toStdString()));
    // What stands where the new copy would go can't be written to.
    const auto own = Recovery::file();
    ASSERT_TRUE(QDir().mkpath(own + "/in the way"));
    answerNext("Take it up");
    EXPECT_TRUE(window->offerRecovery());
    EXPECT_EQ(session().project()->room->name, "Lost");
    EXPECT_TRUE(QFile::exists(left)) << "it is still the only copy on the disk";
    QDir(own).removeRecursively();
    EXPECT_TRUE(session().keepCopy());
    QFile::remove(left);
    session().leave();
}

TEST_F(SafeWindow, AFileThatAnotherProgramChangedIsNotWrittenOverUnasked) {
    const auto path = at("job.mezzet");
    ASSERT_TRUE(session().saveTo(path));
    // Something that keeps no lock writes it.
    ASSERT_TRUE(saveJob(**newProject(session().library(), "wall A 9'\nwall B 9'\nwall C 9'\nwall "
                                                          "D 9'"),
                        path.toStdString()));
    ASSERT_TRUE(session().sayLine("stool"));
    EXPECT_TRUE(session().changedElsewhere());
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const auto theirs = file.readAll();
    file.close();
    EXPECT_FALSE(session().saveTo(path));
    QString asked;
    answerNext("Don't save", &asked);
    EXPECT_FALSE(window->saveTo(path));
    EXPECT_TRUE(asked.contains("changed by something else")) << asked.toStdString();
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll(), theirs);
    file.close();
    EXPECT_TRUE(session().changed());
    answerNext("Save over it");
    EXPECT_TRUE(window->saveTo(path));
    EXPECT_FALSE(session().changed());
}

TEST_F(SafeWindow, AJobThatIsOpenHereIsNotSavedFromElsewhere) {
    const auto path = at("job.mezzet");
    ASSERT_TRUE(session().saveTo(path));
    JobSession other(session().library());
    QString told;
    QObject::connect(&other, &JobSession::told,
                     [&](const QString& words, bool trouble) { told = trouble ? words : told; });
    ASSERT_TRUE(other.openFile(path));
    EXPECT_FALSE(other.elsewhere().isEmpty()) << "it says who has it";
    EXPECT_TRUE(told.contains("has this job")) << told.toStdString();
    ASSERT_TRUE(other.sayLine("stool"));
    EXPECT_FALSE(other.saveTo(path));
    EXPECT_TRUE(other.saveTo(at("mine.mezzet"))) << told.toStdString();
    other.leave();
}

TEST_F(SafeWindow, ANameIsTextWhereverItIsShown) {
    const auto bad = std::string("<img src=x><h1>Big</h1>");
    ASSERT_TRUE(session().apply({"name it", {SetTitle{bad, bad}}, {}}));
    ASSERT_TRUE(session().sayLine("sofa called <h1>Big</h1> against wall A"));
    session().select({session().project()->scheme().pieces.back().id});
    settle();
    int shown = 0;
    for (const auto* l : window->findChildren<QLabel*>())
        if (l->text().contains("<h1>")) {
            ++shown;
            EXPECT_FALSE(l->textFormat() == Qt::RichText ||
                         (l->textFormat() == Qt::AutoText && Qt::mightBeRichText(l->text())))
                << l->objectName().toStdString() << ": " << l->text().toStdString();
        }
    EXPECT_GT(shown, 0);
    for (const auto* w : window->findChildren<QWidget*>())
        EXPECT_FALSE(Qt::mightBeRichText(w->toolTip()) && w->toolTip().contains("<h1>"))
            << w->objectName().toStdString();
}

TEST(Notes, ThatWereBeingTypedAreKeptAndAskedAbout) {
    QFile::remove(Recovery::notesFile());
    {
        MeasureScreen screen("", true, nullptr, nullptr);
        screen.show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(&screen));
        screen.editor()->setPlainText("room Draft\nwall A 12'\n");
        // Kept at a pause, as unsaved work is.
        for (int i = 0; i < 400 && !QFile::exists(Recovery::notesFile()); ++i)
            QTest::qWait(20);
        EXPECT_TRUE(QFile::exists(Recovery::notesFile()));
        // Esc asks.
        QString asked;
        answerNext("Go on typing", &asked);
        screen.reject();
        EXPECT_TRUE(screen.isVisible());
        EXPECT_FALSE(asked.isEmpty());
        answerNext("Throw away the changes");
        screen.reject();
        EXPECT_FALSE(screen.isVisible());
    }
    EXPECT_FALSE(QFile::exists(Recovery::notesFile())) << "given up on purpose";
}

TEST_F(SafeWindow, ACrowdedJobIsJudgedBesideTheWindow) {
    ASSERT_TRUE(session().saveTo(at("crowd.mezzet")));
    auto scheme = std::make_shared<Scheme>();
    const auto kind = session().library().kit->byId("sofa");
    for (int i = 1; i <= 130; ++i) {
        Piece p = pieceOf(kind);
        p.id = i;
        p.name = "no " + std::to_string(i);
        p.pose.at = {500.0 + i * 5, 900.0 + i % 7 * 90};
        scheme->pieces.push_back(p);
    }
    scheme->nextId = 131;
    auto job = std::make_shared<Project>(*session().project());
    job->schemes = {scheme};
    job->activate(0);
    session().open(job, {});
    // Whole at last, whether it was at once or beside.
    for (int i = 0; i < 3000 && !session().judgedWhole(); ++i)
        QTest::qWait(20);
    EXPECT_TRUE(session().judgedWhole());
    EXPECT_EQ(session().readings().size(),
              judge(**sceneOf(*job), *job->library.book, job->judgement).size());
    session().leave();
}
