// Every act of the window, with its word and its key.
#include "app/window/main_menu.h"

#include "app/dialogs/signs_dialog.h"
#include "app/window/main_window.h"
#include "measure/text.h"

#include <QActionGroup>
#include <QFileDialog>
#include <QMenu>
#include <QMenuBar>

#include <map>
#include <tuple>

namespace mezzet::app {

QAction* MainWindow::add(QMenu* menu, const QString& name, const QString& text,
                         const QKeySequence& key, const std::function<void()>& does) {
    auto* a = menu->addAction(text);
    a->setObjectName(name);
    a->setShortcut(key);
    connect(a, &QAction::triggered, this, does);
    return a;
}

QAction* MainWindow::act(const QString& name) const {
    return findChild<QAction*>(name);
}

void MainWindow::buildMenu() {
    buildJobMenu(menuBar()->addMenu("&Job"));
    buildEditMenu(menuBar()->addMenu("&Edit"));
    buildPlaceMenu(menuBar()->addMenu("&Place"));
    buildJudgeMenu(menuBar()->addMenu("J&udge"));
    buildWallMenu(menuBar()->addMenu("&Walls"));
    auto* hand = menuBar()->addMenu("&Hand over");
    buildHandoverMenu(hand);
    hand->addSeparator();
    // Every sheet of the table; the dialog has them all.
    const std::map<std::string_view, const char*> keys{{"plan", "Ctrl+P"},
                                                       {"wall", "Ctrl+Shift+W"}};
    for (const sheets::SheetKind* k : sheets::sheetKinds()) {
        const auto key = keys.find(k->id);
        add(hand, QString("print:") + k->id,
            QString("Print: %1 …").arg(QString::fromStdString(smallFirst(k->title))),
            QKeySequence(key == keys.end() ? "" : key->second), [this, k] { print(k->id); });
    }
    add(hand, "dxf", "Write the plan as DXF …", {}, [this] { saveDxf(); });
    buildViewMenu(menuBar()->addMenu("&View"));
    auto* help = menuBar()->addMenu("Hel&p");
    add(help, "signs", "Signs on the board", {},
        [this] { SignsDialog(session_.project()->notation, this).exec(); });
    add(help, "handbook", "Handbook", QKeySequence("Shift+F1"), [this] { showHandbook(); });
    add(help, "keys", "Keys and phrases", QKeySequence("F1"), [this] { showKeys(); });
}

void MainWindow::buildJobMenu(QMenu* m) {
    add(m, "new", "New job …", QKeySequence::New, [this] { newJob(); });
    add(m, "newFromDrawing", "New job from a drawing …", {}, [this] { newFromDrawing(); });
    add(m, "open", "Open …", QKeySequence::Open, [this] { open(); });
    recent_ = m->addMenu("Recent");
    connect(recent_, &QMenu::aboutToShow, this, &MainWindow::fillRecent);
    add(m, "demo", "Open the demo", {}, [this] {
        if (mayLeave())
            openDemo();
    });
    m->addSeparator();
    add(m, "save", "Save", QKeySequence::Save, [this] {
        session_.path().isEmpty() ? saveAs() : static_cast<void>(saveTo(session_.path()));
    });
    add(m, "saveAs", "Save as …", QKeySequence("Ctrl+Shift+S"), [this] { saveAs(); });
    m->addSeparator();
    add(m, "notes", "Measure …", QKeySequence("Ctrl+T"), [this] { editNotes(); });
    add(m, "title", "Title and client …", {}, [this] { titleJob(); });
    m->addSeparator();
    add(m, "quit", "Leave Mezzet", QKeySequence("Ctrl+Q"), [this] { close(); });
}

void MainWindow::buildEditMenu(QMenu* m) {
    add(m, "undo", "Undo", QKeySequence::Undo, [this] { session_.undo(); });
    add(m, "redo", "Redo", QKeySequence("Ctrl+Shift+Z"), [this] { session_.redo(); });
    steps_ = m->addMenu("Go back to …");
    steps_->setObjectName("steps");
    connect(steps_, &QMenu::aboutToShow, this, &MainWindow::fillSteps);
    m->addSeparator();
    add(m, "selectAll", "Select all pieces", QKeySequence("Ctrl+A"), [this] {
        std::vector<int> ids;
        const Scheme& s = session_.project()->scheme();
        for (const auto& p : s.pieces)
            if (session_.shownOn(p) == session_.surface())
                ids.push_back(p.id);
        session_.select(ids);
    });
    add(m, "cut", "Cut", QKeySequence::Cut, [this] { cutSelected(); });
    add(m, "clip", "Copy", QKeySequence::Copy, [this] { putOnClipboard(); });
    add(m, "paste", "Paste", QKeySequence::Paste, [this] { paste(); });
    add(m, "copy", "Copy beside itself", QKeySequence("Ctrl+D"), [this] { copySelected(); });
    add(m, "edit", "Name and sizes …", QKeySequence("Return"), [this] {
        if (session_.selected().size() == 1)
            editPiece(session_.selected().front());
    });
    act("edit")->setShortcutContext(Qt::WidgetShortcut); // Enter is the line's too
    add(m, "remove", "Remove", QKeySequence("Delete"), [this] { removeSelected(); });
    add(m, "lock", "Lock, or unlock", QKeySequence("Ctrl+L"), [this] { lockSelected(); });
}

void MainWindow::buildPlaceMenu(QMenu* m) {
    add(m, "find", "Find a piece, or add one", QKeySequence("Ctrl+F"), [this] {
        pieces_->box()->setFocus();
        pieces_->box()->selectAll();
    });
    add(m, "finder", "Find anything", QKeySequence("Ctrl+Space"), [this] { findAnything(); });
    add(m, "say", "Say it on the line", QKeySequence("Ctrl+K"),
        [this] { line_->edit()->setFocus(); });
    m->addSeparator();
    add(m, "turnRight", "Turn a quarter right", QKeySequence("Ctrl+R"),
        [this] { turnSelected(90); });
    add(m, "turnLeft", "Turn a quarter left", QKeySequence("Ctrl+Shift+R"),
        [this] { turnSelected(-90); });
    add(m, "turnBit", "Turn 5° right", QKeySequence("Ctrl+."), [this] { turnSelected(5); });
    add(m, "turnBitLeft", "Turn 5° left", QKeySequence("Ctrl+,"), [this] { turnSelected(-5); });
    auto* alignMenu = m->addMenu("Line up");
    const std::tuple<const char*, const char*, AlignBy> aligns[] = {
        {"alignFronts", "Their fronts", AlignBy::fronts},
        {"alignBacks", "Their backs", AlignBy::backs},
        {"alignLefts", "Their left sides", AlignBy::lefts},
        {"alignRights", "Their right sides", AlignBy::rights},
        {"alignMiddles", "Their middles, side to side", AlignBy::middlesAcross},
        {"alignAxis", "Their middles, front to back", AlignBy::middlesAlong}};
    for (const auto& [name, text, by] : aligns)
        add(alignMenu, name, text, {}, [this, b = by] { alignSelected(b); });
    add(m, "spread", "Spread evenly", QKeySequence("Ctrl+Shift+E"), [this] { spreadSelected(); });
    add(m, "mirrorAcross", "Mirror left to right", {}, [this] { mirror(MirrorBy::leftRight); });
    add(m, "mirrorAlong", "Mirror front to back", {}, [this] { mirror(MirrorBy::frontBack); });
    add(m, "seatTable", "Seat the table …", QKeySequence("Ctrl+Shift+D"),
        [this] { seatSelected(); });
    add(m, "zone", "Zone of what is selected …", QKeySequence("Ctrl+G"),
        [this] { zoneSelected(); });
    m->addSeparator();
    auto* kitMenu = m->addMenu("The studio's own kinds");
    add(kitMenu, "keepKind", "Keep this piece as a kind …", {}, [this] { keepKind(); });
    add(kitMenu, "importKinds", "Take kinds from a CSV …", {}, [this] {
        const auto path = QFileDialog::getOpenFileName(this, "Take kinds from", {},
                                                       "Tables (*.csv);;All files (*)");
        if (!path.isEmpty())
            importKinds(path);
    });
    add(kitMenu, "exportKinds", "Write the kit as CSV …", {}, [this] {
        const auto path =
            QFileDialog::getSaveFileName(this, "Write the kit to", "kit.csv", "Tables (*.csv)");
        if (!path.isEmpty())
            exportKinds(path);
    });
    m->addSeparator();
    buildDressMenu(m);
    m->addSeparator();
    auto* own = add(m, "ownTape", "Measure with a tape of your own", QKeySequence("Ctrl+M"),
                    [this] { board_->setTaping(!board_->taping()); });
    own->setCheckable(true);
    add(m, "drawRug", "Draw a rug by its corners", QKeySequence("Ctrl+Shift+K"),
        [this] { board_->drawRug(); });
    add(m, "clearTapes", "Roll up your own tapes", QKeySequence("Ctrl+Shift+M"),
        [this] { board_->clearTapes(); });
    m->addSeparator();
    add(m, "addScheme", "New scheme from this one", QKeySequence("Ctrl+Shift+N"), [this] {
        session_.apply({"new scheme", {AddScheme{}}, {}});
    });
    add(m, "renameScheme", "Rename this scheme …", QKeySequence("F2"), [this] { renameScheme(); });
    add(m, "removeScheme", "Throw this scheme away", {}, [this] {
        session_.apply({"throw the scheme away", {RemoveScheme{}}, {}});
    });
    add(m, "getBack", "Get back a scheme …", {}, [this] { getBackScheme(); });
    add(m, "noteScheme", "Note why …", {}, [this] { noteScheme(); });
    auto* guests = add(m, "guests", "Arrange for guests", QKeySequence("Ctrl+Shift+G"), [this] {
        setArrangement(act("guests")->isChecked() ? Arrangement::guests : Arrangement::day);
    });
    guests->setCheckable(true);
}

void MainWindow::buildJudgeMenu(QMenu* m) {
    add(m, "nextMend", "Next thing to mend", QKeySequence("F8"), [this] { walkMend(1); });
    add(m, "lastMend", "The one before", QKeySequence("Shift+F8"), [this] { walkMend(-1); });
    add(m, "mend", "Take the first remedy shown", QKeySequence("Ctrl+Return"),
        [this] { tape_->takeFirstRemedy(); });
    add(m, "mendAll", "Mend all I can …", QKeySequence("Ctrl+Shift+Return"), [this] { mendAll(); });
    add(m, "whatFits", "What fits here? …", QKeySequence("Ctrl+Shift+F"),
        [this] { askWhatFits(); });
    add(m, "besides", "Lay schemes side by side", QKeySequence("Ctrl+B"), [this] { layBesides(); });
    m->addSeparator();
    const std::tuple<const char*, const char*, const char*, Board::Over> overs[] = {
        {"showWays", "Show ways", "Ctrl+1", Board::Over::ways},
        {"showUse", "Show room in use", "Ctrl+2", Board::Over::use},
        {"showView", "Show what is seen", "Ctrl+3", Board::Over::view},
        {"showZones", "Show zones", "Ctrl+4", Board::Over::zones},
        {"showLight", "Show the light at night", "Ctrl+8", Board::Over::light}};
    for (const auto& [name, text, key, over] : overs) {
        auto* a = add(m, name, text, QKeySequence(key), [this, n = QString(name), o = over] {
            board_->setShown(o, act(n)->isChecked());
        });
        a->setCheckable(true);
    }
    add(m, "lookNext", "Look from the next door or window", QKeySequence("Ctrl+Shift+3"), [this] {
        act("showView")->setChecked(true);
        board_->lookFromNext();
    });
    add(m, "lightNext", "Turn to the next light scene", QKeySequence("Ctrl+Shift+8"), [this] {
        act("showLight")->setChecked(true);
        board_->lightNextScene();
    });
    m->addSeparator();
    auto* access = add(m, "access", "Judge for a wheelchair too", {}, [this] {
        session_.apply({"access", {SetAccess{act("access")->isChecked()}}, {}});
    });
    access->setCheckable(true);
    add(m, "brief", "Brief: how many seats …", {}, [this] { briefSeats(); });
    add(m, "keepBands", "Keep these bands for the studio", {}, [this] { keepBands(); });
    m->addSeparator();
    add(m, "retape", "Type on the tape", QKeySequence("Ctrl+E"), [this] { tape_->editFirst(); });
    m->addSeparator();
    schools_ = new QActionGroup(this);
    for (const auto& s : session_.library().book->schools) {
        auto* a = add(m, QString::fromStdString(s.id), QString::fromStdString("School: " + s.title),
                      {}, [this, id = s.id] {
                          session_.apply({"judge by " + id, {SetSchool{id, {}, false}}, {}});
                      });
        a->setCheckable(true);
        a->setToolTip(QString::fromStdString(s.says));
        schools_->addAction(a);
    }
}

void MainWindow::buildViewMenu(QMenu* m) {
    add(m, "fit", "Zoom to fit", QKeySequence("Ctrl+0"), [this] { board_->zoomToFit(); });
    add(m, "fitSelection", "Zoom to the selection", QKeySequence("Ctrl+9"),
        [this] { board_->zoomToSelection(); });
    add(m, "zoomIn", "Nearer", QKeySequence("Ctrl+="), [this] { board_->zoomIn(); });
    add(m, "zoomOut", "Farther", QKeySequence("Ctrl+-"), [this] { board_->zoomOut(); });
    m->addSeparator();
    add(m, "floor", "The floor", QKeySequence("Alt+0"), [this] { session_.goTo(theFloor()); });
    add(m, "ceiling", "The ceiling", QKeySequence("Alt+Up"),
        [this] { session_.goTo(theCeiling()); });
    for (int i = 0; i < 9; ++i)
        add(m, QString("wall%1").arg(i),
            QString("Wall %1").arg(QString::fromStdString(wallName(i))),
            QKeySequence(QString("Alt+%1").arg(i + 1)), [this, i] { session_.goTo(onWall(i)); });
    m->addSeparator();
    auto* under = add(m, "underlay", "The traced drawing under the board", {},
                      [this] { board_->setUnderlayShown(act("underlay")->isChecked()); });
    under->setCheckable(true);
    under->setChecked(true);
    add(m, "dropUnderlay", "Take the traced drawing out of the job", {}, [this] {
        if (session_.project()->underlay)
            session_.apply({"take the drawing out", {SetUnderlay{}}, {}});
    });
    auto* units = m->addMenu("Units");
    units_ = new QActionGroup(this);
    for (int i = 0; i < mostUnits; ++i) {
        auto* a = add(units, QString("units%1").arg(i), notations[i].name, {},
                      [this, i] { setNotation(notations[i].notation); });
        a->setCheckable(true);
        units_->addAction(a);
    }
    add(m, "otherUnits", "Inches or metric", QKeySequence("Ctrl+U"), [this] {
        setNotation(isMetric(session_.project()->notation.units) ? notations[1].notation
                                                                 : notations[4].notation);
    });
    auto* night =
        add(m, "night", "Night theme", QKeySequence("Ctrl+Shift+L"), [this] { setNight(!night_); });
    night->setCheckable(true);
}

} // namespace mezzet::app
