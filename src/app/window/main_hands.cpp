// What is done with the mouse and the clipboard: the menu of a piece, its name and sizes, cut, copy
// and paste.
#include "app/dialogs/piece_dialog.h"
#include "app/look/tr.h"
#include "app/window/main_window.h"
#include "edit/pieces.h"
#include "measure/text.h"

#include <QApplication>
#include <QClipboard>
#include <QMenu>
#include <QMimeData>

namespace mezzet::app {

namespace {

/// Pieces on the clipboard are a job of them alone, so that another window can take them.
constexpr const char* clipType = "application/x-mezzet-job";

} // namespace

void MainWindow::putOnClipboard() {
    if (session_.selected().empty())
        return;
    const auto job = onlyThese(*session_.project(), *session_.scene(), session_.selected());
    auto* clip = new QMimeData;
    clip->setData(clipType, QByteArray::fromStdString(jobText(job)));
    QStringList names;
    for (const Piece& p : job.scheme().pieces)
        names << QString::fromStdString(p.name);
    clip->setText(names.join("\n"));
    QApplication::clipboard()->setMimeData(clip);
    emit session_.told(tr("Copied: %1").arg(names.join(", ")), false);
}

void MainWindow::cutSelected() {
    if (session_.selected().empty())
        return;
    putOnClipboard();
    removeSelected();
}

void MainWindow::paste() {
    const auto* clip = QApplication::clipboard()->mimeData();
    if (clip == nullptr || !clip->hasFormat(clipType)) {
        emit session_.told("There is nothing on the clipboard that can be pasted here: copy a "
                           "piece first (Ctrl+C).",
                           true);
        return;
    }
    const auto from = readJob(clip->data(clipType).toStdString(), inOwnWords("the clipboard"),
                              session_.library());
    const auto edit =
        from ? pastePieces(*session_.project(), *session_.scene(), **from, session_.surface())
             : Result<Edit>(from.problem());
    if (!edit) {
        emit session_.told(QString::fromStdString(edit.problem().sentence()), true);
        return;
    }
    if (!session_.apply(*edit))
        return;
    std::vector<int> ids;
    for (const Act& a : edit->acts)
        ids.push_back(std::get<PutPiece>(a).piece.id);
    session_.select(ids);
}

void MainWindow::editPiece(int id) {
    const Piece* p = session_.project()->scheme().byId(id);
    if (p == nullptr || p->isGroup())
        return;
    PieceDialog(session_, id, this).exec();
}

void MainWindow::showPieceMenu(QPoint at) {
    QMenu menu(this);
    menu.setObjectName("pieceMenu");
    const auto& chosen = session_.selected();
    if (chosen.empty()) {
        menu.addAction(act("paste"));
        menu.addAction(act("selectAll"));
        menu.addAction(act("find"));
        menu.addAction(act("whatFits"));
        menu.exec(at);
        return;
    }
    const Piece* one =
        chosen.size() == 1 ? session_.project()->scheme().byId(chosen.front()) : nullptr;
    if (one != nullptr) {
        menu.addAction(act("edit"));
        // Others of its sort, in its place.
        auto* others = menu.addMenu(tr("Another in its place"));
        for (const auto& k : session_.project()->library.kit->kinds()) {
            if (k->role != one->kind->role || k->on != one->kind->on || k == one->kind ||
                k->role == Role::none || k->role == Role::group)
                continue;
            others->addAction(
                QString::fromStdString(k->name).replace("&", "&&"), this, [this, id = one->id, k] {
                    const Piece* p = session_.project()->scheme().byId(id);
                    if (p == nullptr)
                        return;
                    auto other = asAnother(*session_.project(), *p, k);
                    if (!other) {
                        emit session_.told(QString::fromStdString(other.problem().sentence()),
                                           true);
                        return;
                    }
                    session_.apply(replacedBy(*session_.project(), std::move(*other)));
                });
        }
        others->setEnabled(!others->isEmpty());
        menu.addSeparator();
    }
    for (const char* name : {"turnRight", "turnLeft"})
        menu.addAction(act(name));
    menu.addSeparator();
    for (const char* name : {"cut", "clip", "paste", "copy"})
        menu.addAction(act(name));
    menu.addSeparator();
    if (chosen.size() > 1)
        menu.addAction(act("spread"));
    if (one != nullptr && one->kind->isSatInTo())
        menu.addAction(act("seatTable"));
    menu.addAction(act("lock"));
    menu.addAction(act("remove"));
    menu.exec(at);
}

} // namespace mezzet::app
