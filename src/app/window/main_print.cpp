// Sheets from the window: asked for in a dialog, printed on a thread of their own.
#include "app/dialogs/sheet_dialog.h"
#include "app/dialogs/wall_sheet_dialog.h"
#include "app/session/long_work.h"
#include "app/window/main_window.h"
#include "sheets/blank_sheet.h"
#include "sheets/paper_out.h"
#include "sheets/plan_sheet.h"

#include <QDialog>
#include <QFileInfo>
#include <QVBoxLayout>

#include <fmt/format.h>

namespace mezzet::app {

namespace {

QString toldOf(const QString& path, const std::string& paper, const std::string& scale,
               const std::string& pages) {
    return QString::fromStdString(fmt::format(
        "{}: {}, {}, {}", QFileInfo(path).fileName().toStdString(), paper, scale, pages));
}

template <class Printed> Told toldOf(const QString& path, const Result<Printed>& printed) {
    if (!printed)
        return {QString::fromStdString(printed.problem().sentence()), true};
    return {toldOf(path, printed->paper, printed->scale,
                   sheets::pagesWords(path.toStdString(), printed->pages)),
            false};
}

} // namespace

Printing MainWindow::planPrinting(const QString& path, const sheets::PlanOptions& options) const {
    // Jobs are values: the thread has its own.
    return [job = *session_.project(), path, options](const sheets::GoOn& goOn) {
        auto asked = options;
        asked.goOn = goOn;
        return toldOf(path, sheets::printPlan(job, asked, path.toStdString()));
    };
}

Printing MainWindow::wallPrinting(const QString& path, const QString& which,
                                  const WallSheetDialog& dialog) {
    return [job = *session_.settledProject(), path, which, wall = dialog.wall(),
            options = dialog.options(), templates = dialog.templates()](const sheets::GoOn& goOn) {
        const std::filesystem::path file(path.toStdString());
        auto asked = options;
        auto cut = templates;
        asked.goOn = cut.goOn = goOn;
        return toldOf(path, which == "templates" ? sheets::printTemplates(job, cut, file)
                            : which == "hooks"   ? sheets::printHooks(job, asked, file)
                                                 : sheets::printWall(job, wall.value(), asked, file));
    };
}

bool MainWindow::printNow(const Printing& printing) {
    const Told told = printing({});
    emit session_.told(told.words, told.fault);
    return !told.fault;
}

void MainWindow::printLater(Printing printing) {
    auto* box = new QDialog(this);
    box->setObjectName("printing");
    box->setWindowTitle("Printing");
    auto* layout = new QVBoxLayout(box);
    auto* work = new LongWork;
    work->setMinimumWidth(360);
    layout->addWidget(work);
    const auto told = std::make_shared<Told>();
    work->start(
        "Printing",
        [printing = std::move(printing), told](Watch& watch) {
            *told = printing([&watch](double share) {
                watch.share = share;
                return !watch.stop;
            });
        },
        [this, told, box] {
            emit session_.told(told->words, told->fault);
            box->hide();
            box->deleteLater();
        });
    // What is quick needs no box of its own.
    QTimer::singleShot(300, box, [work, box] {
        if (work->running())
            box->show();
    });
}

bool MainWindow::printTo(const QString& path, const sheets::PlanOptions& options) {
    return printNow(planPrinting(path, options));
}

bool MainWindow::printWallsTo(const QString& path, const QString& which,
                              const WallSheetDialog& dialog) {
    return printNow(wallPrinting(path, which, dialog));
}

void MainWindow::print() {
    SheetDialog dialog(isMetric(session_.project()->notation.units), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    const auto title = QString::fromStdString(session_.project()->title).replace('/', ' ');
    const auto path = askWhere(this, "Print the plan to", title + ", plan", dialog.format());
    if (!path.isEmpty())
        printLater(planPrinting(path, dialog.options()));
}

void MainWindow::printMeasuringSheet() {
    const auto path = askWhere(this, "Print the measuring sheet to", "measuring sheet", "pdf");
    if (path.isEmpty())
        return;
    printLater([room = session_.project()->room, path](const sheets::GoOn&) {
        return toldOf(path, sheets::printBlankSheet(room->walls.empty() ? nullptr : room.get(),
                                                    room->units, path.toStdString()));
    });
}

void MainWindow::printWalls(const QString& which) {
    WallSheetDialog dialog(*session_.project(), which, session_.surface(), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    const auto path = askWhere(this, "Print to", which, dialog.format());
    if (!path.isEmpty())
        printLater(wallPrinting(path, which, dialog));
}

} // namespace mezzet::app
