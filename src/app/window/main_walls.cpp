// The window's acts about walls: groups, hooks, mirrors, pictures, and their sheets.
#include "app/dialogs/group_dialog.h"
#include "app/dialogs/pictures_dialog.h"
#include "app/look/ask.h"
#include "app/look/tr.h"
#include "app/look/widgets.h"
#include "app/window/main_window.h"
#include "measure/example.h"
#include "measure/text.h"
#include "sheets/picture_in.h"

#include <QAction>
#include <QDialog>
#include <QFileDialog>

namespace mezzet::app {

void MainWindow::groupSelected() {
    const auto& chosen = session_.selected();
    const Scheme& scheme = session_.project()->scheme();
    const auto pieces = membersOf(scheme, chosen);
    const bool hang = std::all_of(pieces.begin(), pieces.end(), [&](int id) {
        return scheme.byId(id)->onWall() && scheme.byId(id)->on == session_.surface();
    });
    if (pieces.size() < 2 || !hang) {
        emit session_.told("Choose two or more pieces of one wall first", true);
        return;
    }
    const int group = scheme.byId(pieces.front())->group();
    const bool whole = group != 0 && scheme.members(group).size() == pieces.size();
    auto* dialog = new GroupDialog(session_, whole ? std::vector<int>{group} : pieces, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

void MainWindow::ungroupSelected() {
    for (const int id : session_.selected()) {
        const Piece* p = session_.project()->scheme().byId(id);
        const int group = p == nullptr ? 0 : p->isGroup() ? id : p->group();
        if (group != 0) {
            session_.apply(ungroup(*session_.project(), *session_.scene(), group));
            return;
        }
    }
    emit session_.told("No group is chosen", true);
}

bool MainWindow::putPicture(const QString& path) {
    const Piece* p = session_.selected().size() == 1
                         ? session_.project()->scheme().byId(session_.selected().front())
                         : nullptr;
    if (p == nullptr || !p->onWall() || p->isGroup()) {
        emit session_.told("Choose one frame on a wall first", true);
        return false;
    }
    auto picture = sheets::readPicture(path.toStdString());
    if (!picture) {
        emit session_.told(QString::fromStdString(picture.problem().sentence()), true);
        return false;
    }
    return session_.apply(sheets::intoFrame(*session_.project(), *session_.scene(), *p, *picture));
}

void MainWindow::choosePicture() {
    const auto path = QFileDialog::getOpenFileName(this, tr("A picture for the frame"), {},
                                                   tr("Pictures (*.png *.jpg *.jpeg)"));
    if (!path.isEmpty())
        putPicture(path);
}

void MainWindow::comparePictures() {
    const Piece* p = session_.selected().size() == 1
                         ? session_.project()->scheme().byId(session_.selected().front())
                         : nullptr;
    if (p == nullptr || !p->onWall() || p->isGroup()) {
        emit session_.told("Choose one frame on a wall first", true);
        return;
    }
    auto* dialog = new PicturesDialog(session_, p->id, this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->open();
}

void MainWindow::sayHousehold() {
    const auto said =
        askText(
            this,
            {tr("Who looks"),
             tr("Short, mixed, tall or public; or how tall they are, like %1:")
                 .arg(fromCore(exampleIn("5' 4\", 5' 10\"", session_.project()->notation.units))),
             tr("Hang for them")})
            .value_or(QString())
            .trimmed();
    if (!said.isEmpty())
        session_.sayLine(QString("hang for ") + said);
}

void MainWindow::buildWallMenu(QMenu* m) {
    add(m, "group", tr("Set out as one …"), QKeySequence("Ctrl+Shift+O"),
        [this] { groupSelected(); });
    add(m, "ungroup", tr("Take the group apart"), QKeySequence("Ctrl+Shift+U"),
        [this] { ungroupSelected(); });
    add(m, "picture", tr("Put a picture in the frame …"), QKeySequence("Ctrl+Shift+P"),
        [this] { choosePicture(); });
    add(m, "pictures", tr("Which of several pictures? …"), {}, [this] { comparePictures(); });
    add(m, "household", tr("Who looks …"), {}, [this] { sayHousehold(); });
    m->addSeparator();
    auto* hooks = add(m, "showHooks", tr("Show hooks"), QKeySequence("Ctrl+5"), [this] {
        board_->setShown(Board::Over::hooks, act("showHooks")->isChecked());
    });
    hooks->setCheckable(true);
    auto* mirror =
        add(m, "showReflected", tr("Show what the mirror shows"), QKeySequence("Ctrl+6"), [this] {
            board_->setShown(Board::Over::reflected, act("showReflected")->isChecked());
        });
    mirror->setCheckable(true);
    add(m, "mirrorNext", tr("Look into it from the next place"), QKeySequence("Ctrl+Shift+6"),
        [this] {
            act("showReflected")->setChecked(true);
            board_->lookIntoMirrorFromNext();
        });
    auto* unrolled = add(m, "unroll", tr("Unroll the walls beside it"), QKeySequence("Ctrl+7"),
                         [this] { board_->setUnrolled(act("unroll")->isChecked()); });
    unrolled->setCheckable(true);
    m->addSeparator();
    add(m, "nextWall", tr("The wall to the right"), QKeySequence("Alt+Right"),
        [this] { stepWall(1); });
    add(m, "lastWall", tr("The wall to the left"), QKeySequence("Alt+Left"),
        [this] { stepWall(-1); });
}

void MainWindow::stepWall(int by) {
    const int count = static_cast<int>(session_.project()->room->walls.size());
    if (count > 0)
        session_.goTo(onWall(session_.surface().isWall()
                                 ? (session_.surface().wall() + by + count) % count
                             : by > 0 ? 0
                                      : count - 1));
}

} // namespace mezzet::app
