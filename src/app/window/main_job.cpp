// Jobs: begun, opened, saved, taken up again; and the steps that were taken in one.
#include "app/look/tr.h"
#include "app/window/main_window.h"

#include "app/dialogs/sheet_dialog.h"
#include "app/look/plain_words.h"
#include "app/look/style.h"
#include "app/measure/measure_screen.h"
#include "app/window/main_menu.h"
#include "dxf/dxf.h"
#include "edit/pieces.h"
#include "measure/text.h"
#include "speech/line_page.h"

#include <QActionGroup>
#include <QApplication>
#include <QCloseEvent>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QLabel>
#include <QMenu>
#include <QMenuBar>
#include <QMessageBox>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QSplitter>
#include <QStackedWidget>
#include <QTextBrowser>
#include <QTimer>
#include <QVBoxLayout>

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::app {

namespace {
constexpr int mostRecent = 8;
constexpr std::size_t mostDraftBytes = 1 << 20;
} // namespace

// ---- jobs ----

bool MainWindow::mayLeave() {
    if (!session_.changed())
        return true;
    QMessageBox ask(QMessageBox::NoIcon, tr("Unsaved work"),
                    tr("“%1” has changes that are not saved.")
                        .arg(QString::fromStdString(session_.project()->title)),
                    QMessageBox::NoButton, this);
    auto* save = ask.addButton(tr("Save"), QMessageBox::AcceptRole);
    auto* leave = ask.addButton(tr("Throw away the changes"), QMessageBox::DestructiveRole);
    ask.addButton(tr("Go on working"), QMessageBox::RejectRole);
    ask.setDefaultButton(save);
    ask.exec();
    if (ask.clickedButton() == leave)
        return true;
    if (ask.clickedButton() != save)
        return false;
    act("save")->trigger();
    return !session_.changed();
}

void MainWindow::closeEvent(QCloseEvent* e) {
    if (!mayLeave())
        return e->ignore();
    session_.leave();
    e->accept();
}

void MainWindow::newJob() {
    if (!mayLeave())
        return;
    startFrom(MeasureScreen::example());
}

void MainWindow::newFromDrawing() {
    if (mayLeave())
        startFrom({}, true);
}

/// Measures a new room, beginning from these notes; whether a job came of it.
bool MainWindow::startFrom(const QString& notes, bool traced) {
    MeasureScreen dialog(notes, true, this);
    if (traced)
        QTimer::singleShot(0, &dialog, &MeasureScreen::trace);
    if (dialog.exec() != QDialog::Accepted)
        return false;
    auto job = newProject(session_.library(), dialog.notes().toStdString());
    if (!job) {
        emit session_.told(QString::fromStdString(job.problem().sentence()), true);
        return false;
    }
    session_.open(*job, {}, true);
    session_.keepCopy();
    MeasureScreen::forgetDraft();
    if (const auto u = dialog.underlay())
        session_.apply({inOwnWords("lay the drawing under the board"), {SetUnderlay{u}}, {}});
    return true;
}

void MainWindow::editNotes() {
    MeasureScreen dialog(QString::fromStdString(session_.project()->notes), false, this,
                         session_.project());
    if (dialog.exec() != QDialog::Accepted)
        return;
    Edit edit{inOwnWords("take new tape notes"), {SetNotes{dialog.notes().toStdString()}}, {}};
    if (const auto u = dialog.underlay())
        edit.acts.emplace_back(SetUnderlay{u});
    if (session_.apply(edit)) {
        session_.keepCopy();
        MeasureScreen::forgetDraft();
    }
}

void MainWindow::openDemo(std::size_t scheme) {
    const auto path = dataFolder() / "demo" / "lantern-row.mezzet";
    auto job = openJob(path, session_.library());
    if (!job) {
        emit session_.told(QString::fromStdString(job.problem().text()), true);
        return;
    }
    Project shown = **job;
    if (const auto here = shown.schemesHere(); scheme < here.size())
        shown.activate(here[scheme]);
    // The demo is a copy: saving asks where.
    session_.open(std::make_shared<Project>(std::move(shown)), {});
    board_->zoomToFit();
}

bool MainWindow::openPath(const QString& path) {
    if (!session_.openFile(path))
        return false;
    rememberPath(session_.path());
    board_->zoomToFit();
    return true;
}

void MainWindow::open() {
    if (!mayLeave())
        return;
    const auto path = QFileDialog::getOpenFileName(this, tr("Open a job"),
                                                   QFileInfo(session_.path()).absolutePath(),
                                                   tr("Mezzet jobs (*.mezzet);;All files (*)"));
    if (!path.isEmpty())
        openPath(path);
}

bool MainWindow::saveTo(const QString& path) {
    bool over = false;
    if (QFileInfo(path).absoluteFilePath() == session_.path() && session_.changedElsewhere()) {
        QMessageBox ask(QMessageBox::NoIcon, tr("The file is another one now"),
                        tr("“%1” was changed by something else since it was opened here.")
                            .arg(QFileInfo(path).fileName()),
                        QMessageBox::NoButton, this);
        ask.setObjectName("changedElsewhere");
        auto* other = ask.addButton(tr("Save under another name …"), QMessageBox::AcceptRole);
        auto* write = ask.addButton(tr("Save over it"), QMessageBox::DestructiveRole);
        ask.addButton(tr("Don't save"), QMessageBox::RejectRole);
        ask.setDefaultButton(other);
        ask.exec();
        if (ask.clickedButton() == other) {
            saveAs();
            return !session_.changed();
        }
        if (ask.clickedButton() != write)
            return false;
        over = true;
    }
    if (!session_.saveTo(path, over))
        return false;
    rememberPath(session_.path());
    return true;
}

void MainWindow::saveAs() {
    auto suggested = session_.path();
    if (suggested.isEmpty())
        suggested = QString::fromStdString(session_.project()->title).replace('/', ' ') + ".mezzet";
    auto path = QFileDialog::getSaveFileName(this, tr("Save the job"), suggested,
                                             tr("Mezzet jobs (*.mezzet)"));
    if (path.isEmpty())
        return;
    if (QFileInfo(path).suffix().isEmpty())
        path += ".mezzet";
    saveTo(path);
}

void MainWindow::rememberPath(const QString& path) {
    QSettings settings;
    auto list = settings.value("recent").toStringList();
    list.removeAll(path);
    list.prepend(path);
    while (list.size() > mostRecent)
        list.removeLast();
    settings.setValue("recent", list);
}

void MainWindow::fillRecent() {
    recent_->clear();
    for (const auto& path : QSettings().value("recent").toStringList())
        connect(recent_->addAction(plainButton(QFileInfo(path).fileName())), &QAction::triggered,
                this, [this, path] {
                    if (mayLeave())
                        openPath(path);
                });
    if (recent_->isEmpty())
        recent_->addAction(tr("Nothing yet"))->setEnabled(false);
}

void MainWindow::fillSteps() {
    steps_->clear();
    const auto steps = session_.history().steps();
    const int now = session_.history().standing();
    const auto entry = [&](int stand, const QString& words) {
        auto* a = steps_->addAction(plainButton(words));
        a->setCheckable(true);
        a->setChecked(stand == now);
        connect(a, &QAction::triggered, this, [this, stand] { session_.goToStep(stand); });
    };
    // The latest first, about where one stands.
    constexpr int most = 30;
    const int top = std::min<int>(static_cast<int>(steps.size()), now + most / 2);
    for (int i = top; i > std::max(0, top - most); --i)
        entry(i, steps[i - 1]);
    entry(0, tr("As it was opened"));
}

namespace {

enum class LeftBehind { take, away, later };

/// Asks what to do with work that a program which did not end well left behind.
LeftBehind askAboutLeft(QWidget* over, const QString& title, const QString& question,
                        const QString& take, const QString& away) {
    QMessageBox ask(QMessageBox::NoIcon, title, question, QMessageBox::NoButton, over);
    ask.setObjectName("recovery");
    auto* yes = ask.addButton(take, QMessageBox::AcceptRole);
    auto* no = ask.addButton(away, QMessageBox::DestructiveRole);
    ask.addButton(tr("Ask again later"), QMessageBox::RejectRole);
    ask.setDefaultButton(yes);
    ask.exec();
    return ask.clickedButton() == yes  ? LeftBehind::take
           : ask.clickedButton() == no ? LeftBehind::away
                                       : LeftBehind::later;
}

} // namespace

bool MainWindow::offerRecovery() {
    for (const auto& r : Recovery::leftBehind()) {
        auto job = openJob(r.file.toStdString(), session_.library());
        if (!job) {
            emit session_.told(QString::fromStdString(job.problem().text()), true);
            continue;
        }
        const auto answer =
            askAboutLeft(this, tr("Unsaved work"),
                         tr("Mezzet ended without saving “%1”, %2. Take it up again?")
                             .arg(QString::fromStdString((*job)->title), r.when),
                         tr("Take it up"), tr("Throw it away"));
        if (answer == LeftBehind::away)
            Recovery::forget(r);
        if (answer != LeftBehind::take)
            continue;
        session_.open(*job, r.path, true);
        // Under this program's own name first: the old copy may be the only one.
        if (session_.keepCopy())
            Recovery::forget(r);
        return true;
    }
    for (const auto& r : Recovery::notesLeftBehind()) {
        const auto notes = readTextFile(r.file.toStdString(), mostDraftBytes);
        if (!notes)
            continue;
        const auto answer = askAboutLeft(
            this, tr("Unsaved notes"),
            tr("Mezzet ended while notes were being typed, %1. Take them up again?").arg(r.when),
            tr("Take them up"), tr("Throw them away"));
        if (answer == LeftBehind::away)
            Recovery::forget(r);
        if (answer != LeftBehind::take)
            continue;
        if (startFrom(QString::fromStdString(*notes)))
            Recovery::forget(r);
        return true;
    }
    return false;
}

} // namespace mezzet::app
