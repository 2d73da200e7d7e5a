// Every act of the window, with its word and its key.
#include "app/window/main_menu.h"
#include "app/look/tr.h"

#include "app/dialogs/signs_dialog.h"
#include "app/window/main_window.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <QActionGroup>
#include <QFileDialog>
#include <QLocale>
#include <QMenu>
#include <QMenuBar>
#include <QSettings>

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
    buildJobMenu(menuBar()->addMenu(tr("&Job")));
    buildEditMenu(menuBar()->addMenu(tr("&Edit")));
    buildPlaceMenu(menuBar()->addMenu(tr("&Place")));
    buildJudgeMenu(menuBar()->addMenu(tr("J&udge")));
    buildWallMenu(menuBar()->addMenu(tr("&Walls")));
    auto* hand = menuBar()->addMenu(tr("&Hand over"));
    buildHandoverMenu(hand);
    hand->addSeparator();
    // Every sheet of the table; the dialog has them all.
    const std::map<std::string_view, const char*> keys{{"plan", "Ctrl+P"},
                                                       {"wall", "Ctrl+Shift+W"}};
    for (const sheets::SheetKind* k : sheets::sheetKinds()) {
        const auto key = keys.find(k->id);
        add(hand, QString("print:") + k->id,
            tr("Print: %1 …").arg(QString::fromStdString(goingOn(tr(k->title).toStdString()))),
            QKeySequence(key == keys.end() ? "" : key->second), [this, k] { print(k->id); });
    }
    add(hand, "dxf", tr("Write the plan as DXF …"), {}, [this] { saveDxf(); });
    buildViewMenu(menuBar()->addMenu(tr("&View")));
    auto* help = menuBar()->addMenu(tr("Hel&p"));
    add(help, "signs", tr("Signs on the board"), {},
        [this] { SignsDialog(session_.project()->notation, this).exec(); });
    add(help, "handbook", tr("Handbook"), QKeySequence("Shift+F1"), [this] { showHandbook(); });
    add(help, "keys", tr("Keys and phrases"), QKeySequence("F1"), [this] { showKeys(); });
}

void MainWindow::buildLanguageMenu(QMenu* m) {
    auto* group = new QActionGroup(this);
    const QString chosen = QSettings().value("language").toString();
    for (const std::string& two : languages()) {
        const auto code = QString::fromStdString(two);
        auto name = QLocale(code).nativeLanguageName();
        if (code == "en")
            name = "English"; // as Qt has it, “American English”
        auto* a = add(m, "language:" + code, name, {}, [this, code] {
            QSettings().setValue("language", code);
            emit session_.told(tr("It is spoken from the next start on"), false);
        });
        a->setCheckable(true);
        a->setChecked(code == chosen);
        group->addAction(a);
    }
}

void MainWindow::buildJobMenu(QMenu* m) {
    add(m, "new", tr("New job …"), QKeySequence::New, [this] { newJob(); });
    add(m, "newFromDrawing", tr("New job from a drawing …"), {}, [this] { newFromDrawing(); });
    add(m, "open", tr("Open …"), QKeySequence::Open, [this] { open(); });
    recent_ = m->addMenu(tr("Recent"));
    connect(recent_, &QMenu::aboutToShow, this, &MainWindow::fillRecent);
    add(m, "demo", tr("Open the demo"), {}, [this] {
        if (mayLeave())
            openDemo();
    });
    m->addSeparator();
    add(m, "save", tr("Save"), QKeySequence::Save, [this] {
        session_.path().isEmpty() ? saveAs() : static_cast<void>(saveTo(session_.path()));
    });
    add(m, "saveAs", tr("Save as …"), QKeySequence("Ctrl+Shift+S"), [this] { saveAs(); });
    m->addSeparator();
    add(m, "notes", tr("Measure …"), QKeySequence("Ctrl+T"), [this] { editNotes(); });
    add(m, "title", tr("Title and client …"), {}, [this] { titleJob(); });
    m->addSeparator();
    add(m, "quit", tr("Leave Mezzet"), QKeySequence("Ctrl+Q"), [this] { close(); });
}

void MainWindow::buildEditMenu(QMenu* m) {
    add(m, "undo", tr("Undo"), QKeySequence::Undo, [this] { session_.undo(); });
    add(m, "redo", tr("Redo"), QKeySequence("Ctrl+Shift+Z"), [this] { session_.redo(); });
    steps_ = m->addMenu(tr("Go back to …"));
    steps_->setObjectName("steps");
    connect(steps_, &QMenu::aboutToShow, this, &MainWindow::fillSteps);
    m->addSeparator();
    add(m, "selectAll", tr("Select all pieces"), QKeySequence("Ctrl+A"), [this] {
        std::vector<int> ids;
        const Scheme& s = session_.project()->scheme();
        for (const auto& p : s.pieces)
            if (session_.shownOn(p) == session_.surface())
                ids.push_back(p.id);
        session_.select(ids);
    });
    add(m, "cut", tr("Cut"), QKeySequence::Cut, [this] { cutSelected(); });
    add(m, "clip", tr("Copy"), QKeySequence::Copy, [this] { putOnClipboard(); });
    add(m, "paste", tr("Paste"), QKeySequence::Paste, [this] { paste(); });
    add(m, "copy", tr("Copy beside itself"), QKeySequence("Ctrl+D"), [this] { copySelected(); });
    add(m, "edit", tr("Name and sizes …"), QKeySequence("Return"), [this] {
        if (session_.selected().size() == 1)
            editPiece(session_.selected().front());
    });
    act("edit")->setShortcutContext(Qt::WidgetShortcut); // Enter is the line's too
    add(m, "remove", tr("Remove"), QKeySequence("Delete"), [this] { removeSelected(); });
    add(m, "lock", tr("Lock, or unlock"), QKeySequence("Ctrl+L"), [this] { lockSelected(); });
}

void MainWindow::buildPlaceMenu(QMenu* m) {
    add(m, "find", tr("Find a piece, or add one"), QKeySequence("Ctrl+F"), [this] {
        pieces_->box()->setFocus();
        pieces_->box()->selectAll();
    });
    add(m, "finder", tr("Find anything"), QKeySequence("Ctrl+Space"), [this] { findAnything(); });
    add(m, "say", tr("Say it on the line"), QKeySequence("Ctrl+K"),
        [this] { line_->edit()->setFocus(); });
    m->addSeparator();
    add(m, "turnRight", tr("Turn a quarter right"), QKeySequence("Ctrl+R"),
        [this] { turnSelected(90); });
    add(m, "turnLeft", tr("Turn a quarter left"), QKeySequence("Ctrl+Shift+R"),
        [this] { turnSelected(-90); });
    add(m, "turnBit", tr("Turn 5° right"), QKeySequence("Ctrl+."), [this] { turnSelected(5); });
    add(m, "turnBitLeft", tr("Turn 5° left"), QKeySequence("Ctrl+,"), [this] { turnSelected(-5); });
    auto* alignMenu = m->addMenu(tr("Line up"));
    const std::tuple<const char*, QString, AlignBy> aligns[] = {
        {"alignFronts", tr("Their fronts"), AlignBy::fronts},
        {"alignBacks", tr("Their backs"), AlignBy::backs},
        {"alignLefts", tr("Their left sides"), AlignBy::lefts},
        {"alignRights", tr("Their right sides"), AlignBy::rights},
        {"alignMiddles", tr("Their middles, side to side"), AlignBy::middlesAcross},
        {"alignAxis", tr("Their middles, front to back"), AlignBy::middlesAlong}};
    for (const auto& [name, text, by] : aligns)
        add(alignMenu, name, text, {}, [this, b = by] { alignSelected(b); });
    add(m, "spread", tr("Spread evenly"), QKeySequence("Ctrl+Shift+E"),
        [this] { spreadSelected(); });
    add(m, "mirrorAcross", tr("Mirror left to right"), {}, [this] { mirror(MirrorBy::leftRight); });
    add(m, "mirrorAlong", tr("Mirror front to back"), {}, [this] { mirror(MirrorBy::frontBack); });
    add(m, "seatTable", tr("Seat the table …"), QKeySequence("Ctrl+Shift+D"),
        [this] { seatSelected(); });
    add(m, "zone", tr("Zone of what is selected …"), QKeySequence("Ctrl+G"),
        [this] { zoneSelected(); });
    m->addSeparator();
    auto* kitMenu = m->addMenu(tr("The studio's own kinds"));
    add(kitMenu, "keepKind", tr("Keep this piece as a kind …"), {}, [this] { keepKind(); });
    add(kitMenu, "importKinds", tr("Take kinds from a CSV …"), {}, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Take kinds from"), {},
                                                       tr("Tables (*.csv);;All files (*)"));
        if (!path.isEmpty())
            importKinds(path);
    });
    add(kitMenu, "exportKinds", tr("Write the kit as CSV …"), {}, [this] {
        const auto path = QFileDialog::getSaveFileName(this, tr("Write the kit to"), "kit.csv",
                                                       tr("Tables (*.csv)"));
        if (!path.isEmpty())
            exportKinds(path);
    });
    m->addSeparator();
    buildDressMenu(m);
    m->addSeparator();
    auto* own = add(m, "ownTape", tr("Measure with a tape of your own"), QKeySequence("Ctrl+M"),
                    [this] { board_->setTaping(!board_->taping()); });
    own->setCheckable(true);
    add(m, "drawRug", tr("Draw a rug by its corners"), QKeySequence("Ctrl+Shift+K"),
        [this] { board_->drawRug(); });
    add(m, "clearTapes", tr("Roll up your own tapes"), QKeySequence("Ctrl+Shift+M"),
        [this] { board_->clearTapes(); });
    m->addSeparator();
    add(m, "addScheme", tr("New scheme from this one"), QKeySequence("Ctrl+Shift+N"), [this] {
        session_.apply({inOwnWords("new scheme"), {AddScheme{}}, {}});
    });
    add(m, "renameScheme", tr("Rename this scheme …"), QKeySequence("F2"),
        [this] { renameScheme(); });
    add(m, "removeScheme", tr("Throw this scheme away"), {}, [this] {
        session_.apply({inOwnWords("throw the scheme away"), {RemoveScheme{}}, {}});
    });
    add(m, "getBack", tr("Get back a scheme …"), {}, [this] { getBackScheme(); });
    add(m, "noteScheme", tr("Note why …"), {}, [this] { noteScheme(); });
    auto* guests = add(m, "guests", tr("Arrange for guests"), QKeySequence("Ctrl+Shift+G"), [this] {
        setArrangement(act("guests")->isChecked() ? Arrangement::guests : Arrangement::day);
    });
    guests->setCheckable(true);
}

void MainWindow::buildJudgeMenu(QMenu* m) {
    add(m, "nextMend", tr("Next thing to mend"), QKeySequence("F8"), [this] { walkMend(1); });
    add(m, "lastMend", tr("The one before"), QKeySequence("Shift+F8"), [this] { walkMend(-1); });
    add(m, "mend", tr("Take the first remedy shown"), QKeySequence("Ctrl+Return"),
        [this] { tape_->takeFirstRemedy(); });
    add(m, "mendAll", tr("Mend all I can …"), QKeySequence("Ctrl+Shift+Return"),
        [this] { mendAll(); });
    add(m, "whatFits", tr("What fits here? …"), QKeySequence("Ctrl+Shift+F"),
        [this] { askWhatFits(); });
    add(m, "besides", tr("Lay schemes side by side"), QKeySequence("Ctrl+B"),
        [this] { layBesides(); });
    m->addSeparator();
    const std::tuple<const char*, QString, const char*, Board::Over> overs[] = {
        {"showWays", tr("Show ways"), "Ctrl+1", Board::Over::ways},
        {"showUse", tr("Show room in use"), "Ctrl+2", Board::Over::use},
        {"showView", tr("Show what is seen"), "Ctrl+3", Board::Over::view},
        {"showZones", tr("Show zones"), "Ctrl+4", Board::Over::zones},
        {"showLight", tr("Show the light at night"), "Ctrl+8", Board::Over::light}};
    for (const auto& [name, text, key, over] : overs) {
        auto* a = add(m, name, text, QKeySequence(key), [this, n = QString(name), o = over] {
            board_->setShown(o, act(n)->isChecked());
        });
        a->setCheckable(true);
    }
    add(m, "lookNext", tr("Look from the next door or window"), QKeySequence("Ctrl+Shift+3"),
        [this] {
            act("showView")->setChecked(true);
            board_->lookFromNext();
        });
    add(m, "lightNext", tr("Turn to the next light scene"), QKeySequence("Ctrl+Shift+8"), [this] {
        act("showLight")->setChecked(true);
        board_->lightNextScene();
    });
    m->addSeparator();
    auto* access = add(m, "access", tr("Judge for a wheelchair too"), {}, [this] {
        session_.apply({"access", {SetAccess{act("access")->isChecked()}}, {}});
    });
    access->setCheckable(true);
    add(m, "brief", tr("Brief: how many seats …"), {}, [this] { briefSeats(); });
    add(m, "keepBands", tr("Keep these bands for the studio"), {}, [this] { keepBands(); });
    m->addSeparator();
    add(m, "retape", tr("Type on the tape"), QKeySequence("Ctrl+E"),
        [this] { tape_->editFirst(); });
    m->addSeparator();
    schools_ = new QActionGroup(this);
    for (const auto& s : session_.library().book->schools) {
        auto* a =
            add(m, QString::fromStdString(s.id), tr("School: ") + QString::fromStdString(s.title),
                {}, [this, id = s.id] {
                    session_.apply({inOwnWords("judge by ") + id, {SetSchool{id, {}, false}}, {}});
                });
        a->setCheckable(true);
        a->setToolTip(QString::fromStdString(s.says));
        schools_->addAction(a);
    }
}

void MainWindow::buildViewMenu(QMenu* m) {
    add(m, "fit", tr("Zoom to fit"), QKeySequence("Ctrl+0"), [this] { board_->zoomToFit(); });
    add(m, "fitSelection", tr("Zoom to the selection"), QKeySequence("Ctrl+9"),
        [this] { board_->zoomToSelection(); });
    add(m, "zoomIn", tr("Nearer"), QKeySequence("Ctrl+="), [this] { board_->zoomIn(); });
    add(m, "zoomOut", tr("Farther"), QKeySequence("Ctrl+-"), [this] { board_->zoomOut(); });
    m->addSeparator();
    add(m, "floor", tr("The floor"), QKeySequence("Alt+0"), [this] { session_.goTo(theFloor()); });
    add(m, "ceiling", tr("The ceiling"), QKeySequence("Alt+Up"),
        [this] { session_.goTo(theCeiling()); });
    for (int i = 0; i < 9; ++i)
        add(m, QString("wall%1").arg(i), tr("Wall %1").arg(QString::fromStdString(wallName(i))),
            QKeySequence(QString("Alt+%1").arg(i + 1)), [this, i] { session_.goTo(onWall(i)); });
    m->addSeparator();
    auto* under = add(m, "underlay", tr("The traced drawing under the board"), {},
                      [this] { board_->setUnderlayShown(act("underlay")->isChecked()); });
    under->setCheckable(true);
    under->setChecked(true);
    add(m, "dropUnderlay", tr("Take the traced drawing out of the job"), {}, [this] {
        if (session_.project()->underlay)
            session_.apply({inOwnWords("take the drawing out"), {SetUnderlay{}}, {}});
    });
    buildLanguageMenu(m->addMenu(tr("Language")));
    auto* units = m->addMenu(tr("Units"));
    units_ = new QActionGroup(this);
    for (int i = 0; i < mostUnits; ++i) {
        auto* a = add(units, QString("units%1").arg(i), tr(notations[i].name), {},
                      [this, i] { setNotation(notations[i].notation); });
        a->setCheckable(true);
        units_->addAction(a);
    }
    add(m, "otherUnits", tr("Inches or metric"), QKeySequence("Ctrl+U"), [this] {
        setNotation(isMetric(session_.project()->notation.units) ? notations[1].notation
                                                                 : notations[4].notation);
    });
    auto* night = add(m, "night", tr("Night theme"), QKeySequence("Ctrl+Shift+L"),
                      [this] { setNight(!night_); });
    night->setCheckable(true);
}

} // namespace mezzet::app
