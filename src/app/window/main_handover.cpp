// The window's acts of handing over: the list, the order of work, tape-out, what was built, the
// book.
#include "app/dialogs/handbook_dialog.h"
#include "app/handover/handover_dialog.h"
#include "app/look/tr.h"
#include "app/window/main_window.h"
#include "sheets/book.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>
#include <QTabWidget>

#include <fmt/format.h>

namespace mezzet::app {

void MainWindow::handOver(int tab) {
    auto* dialog = new HandoverDialog(session_, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->tabs()->setCurrentIndex(tab);
    connect(dialog, &HandoverDialog::printSheet, this, [this](const QString& id) { print(id); });
    connect(dialog, &HandoverDialog::printBook, this, [this](const sheets::BookAsked& asked) {
        const auto path = askBeside(tr("Make the book as"), "book.pdf", tr("PDF (*.pdf)"));
        if (!path.isEmpty())
            printLater(bookPrinting(path, asked));
    });
    connect(dialog, &HandoverDialog::printCard, this, [this] {
        const auto path = askBeside(tr("Make the shopping card as"), "card.pdf",
                                    tr("PDF (*.pdf);;A picture for a telephone (*.png)"));
        if (!path.isEmpty())
            printLater(cardPrinting(path));
    });
    dialog->open();
}

QString MainWindow::askBeside(const QString& title, const QString& name, const QString& kinds) {
    const auto folder =
        session_.path().isEmpty() ? QString() : QFileInfo(session_.path()).absolutePath() + "/";
    return QFileDialog::getSaveFileName(this, title, folder + name, kinds);
}

Printing MainWindow::bookPrinting(const QString& path, sheets::BookAsked asked) const {
    return [job = session_.settledProject(), path, asked](const sheets::GoOn& goOn) mutable {
        asked.options.goOn = goOn;
        const auto printed = sheets::printBook(*job, asked, path.toStdString());
        if (!printed)
            return Told{QString::fromStdString(printed.problem().sentence()), true};
        int out = 0;
        for (const auto& c : printed->chapters)
            out += c.page == 0 ? 1 : 0;
        return Told{
            tr("%1: %2 pages%3")
                .arg(QFileInfo(path).fileName())
                .arg(printed->pages)
                .arg(out > 0 ? tr("; %1 sheets have nothing to show yet").arg(out) : QString()),
            false};
    };
}

Printing MainWindow::cardPrinting(const QString& path) const {
    return [job = session_.settledProject(), path](const sheets::GoOn& goOn) {
        sheets::SheetOptions o;
        o.goOn = goOn;
        const auto printed = sheets::printCard(*job, o, path.toStdString());
        if (!printed)
            return Told{QString::fromStdString(printed.problem().sentence()), true};
        return Told{QString("%1: %2").arg(QFileInfo(path).fileName(),
                                          QString::fromStdString(printed->paper)),
                    false};
    };
}

bool MainWindow::bookTo(const QString& path, const sheets::BookAsked& asked) {
    return printNow(bookPrinting(path, asked));
}

void MainWindow::showHandbook() {
    const ProjectPtr job = session_.project();
    auto* book = new HandbookDialog(*job->library.book, job->notation.units, this);
    book->setAttribute(Qt::WA_DeleteOnClose);
    book->showPage(session_.surface().isWall() ? "walls" : "line");
    book->open();
}

void MainWindow::buildHandoverMenu(QMenu* m) {
    add(m, "handList", tr("The list …"), QKeySequence("Ctrl+Shift+H"), [this] { handOver(0); });
    add(m, "handOrder", tr("Order of work …"), {}, [this] { handOver(1); });
    add(m, "handTape", tr("Mark the floor with tape …"), {}, [this] { handOver(2); });
    add(m, "handBuilt", tr("What was built …"), {}, [this] { handOver(3); });
    add(m, "handBook", tr("The book …"), QKeySequence("Ctrl+Shift+B"), [this] { handOver(4); });
}

} // namespace mezzet::app
