// Sheets from the window: asked for in a dialog, printed on a thread of their own.
#include "app/dialogs/sheet_dialog.h"
#include "app/look/tr.h"
#include "app/session/long_work.h"
#include "app/window/main_window.h"
#include "sheets/sheet.h"

#include <QDialog>
#include <QFileInfo>
#include <QVBoxLayout>

#include <fmt/format.h>

namespace mezzet::app {

namespace {

QString toldOf(const QString& path, const std::string& paper, const std::string& scale,
               const std::string& pages, const std::string& more) {
    return QString::fromStdString(fmt::format("{}: {}, {}, {}{}",
                                              QFileInfo(path).fileName().toStdString(), paper,
                                              scale, pages, more.empty() ? "" : "; " + more));
}

template <class Printed> Told toldOf(const QString& path, const Result<Printed>& printed) {
    if (!printed)
        return {QString::fromStdString(printed.problem().sentence()), true};
    return {toldOf(path, printed->paper, printed->scale,
                   sheets::pagesWords(path.toStdString(), printed->pages), printed->told),
            false};
}

} // namespace

Printing MainWindow::printing(const QString& path, const sheets::SheetKind& kind,
                              const sheets::SheetOptions& options) const {
    // Jobs are values: the thread has its own.
    return
        [job = session_.settledProject(), path, kind = &kind, options](const sheets::GoOn& goOn) {
            auto asked = options;
            asked.goOn = goOn;
            return toldOf(path, sheets::printSheet(*kind, *job, asked, path.toStdString()));
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
    box->setWindowTitle(tr("Printing"));
    auto* layout = new QVBoxLayout(box);
    auto* work = new LongWork;
    work->setMinimumWidth(360);
    layout->addWidget(work);
    const auto told = std::make_shared<Told>();
    work->start(
        tr("Printing"),
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

bool MainWindow::printTo(const QString& path, const QString& sheet,
                         const sheets::SheetOptions& options) {
    return printNow(printing(path, *sheets::sheetById(sheet.toStdString()), options));
}

void MainWindow::print(const QString& sheet) {
    SheetDialog dialog(session_.settledProject(), sheet, session_.surface(), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    session_.remember(dialog.kind().id, dialog.choice());
    // Beside the job, where it has a file.
    const auto folder =
        session_.path().isEmpty() ? QString() : QFileInfo(session_.path()).absolutePath();
    const auto path =
        askWhere(this, tr("Print to"), dialog.fileName(), dialog.format(), {}, folder);
    if (!path.isEmpty())
        printLater(printing(path, dialog.kind(), dialog.options()));
}

} // namespace mezzet::app
