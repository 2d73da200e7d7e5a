#include "app/main_window.h"

#include "app/notes_dialog.h"
#include "app/sheet_dialog.h"
#include "app/style.h"
#include "measure/text.h"

#include <QActionGroup>
#include <QApplication>
#include <QCloseEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QLabel>
#include <QMenu>
#include <QMenuBar>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>
#include <QSplitter>
#include <QVBoxLayout>

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::app {

namespace {
constexpr int mostRecent = 8;
constexpr int mostUnits = 7;
struct NamedNotation {
    const char* name;
    Notation notation;
};
const NamedNotation notations[mostUnits] = {
    {"Feet and inches, to 1/4", {Units::feetAndInches, 4}},
    {"Feet and inches, to 1/8", {Units::feetAndInches, 8}},
    {"Feet and inches, to 1/16", {Units::feetAndInches, 16}},
    {"Inches, to 1/8", {Units::inches, 8}},
    {"Centimetres", {Units::centimetres, 8}},
    {"Millimetres", {Units::millimetres, 8}},
    {"Metres", {Units::metres, 8}}};
} // namespace

MainWindow::MainWindow(Library library, QWidget* parent)
    : QMainWindow(parent), session_(std::move(library)) {
    setWindowIcon(QIcon(":/icons/mezzet.svg"));
    resize(1280, 800);
    board_ = new Board(session_);
    key_ = new KeyPanel(session_);
    pieces_ = new PieceList(session_);
    tape_ = new TapePanel(session_);
    line_ = new LineBar(session_);
    schemes_ = new SchemeStrip(session_);

    auto* left = new QWidget;
    auto* leftColumn = new QVBoxLayout(left);
    leftColumn->setContentsMargins(10, 8, 8, 8);
    auto* surfaces = new QLabel("Surfaces");
    surfaces->setProperty("quiet", true);
    leftColumn->addWidget(surfaces);
    leftColumn->addWidget(key_);
    leftColumn->addWidget(pieces_, 1);
    left->setMinimumWidth(190);

    auto* middle = new QWidget;
    auto* middleColumn = new QVBoxLayout(middle);
    middleColumn->setContentsMargins(0, 0, 0, 8);
    middleColumn->setSpacing(8);
    middleColumn->addWidget(board_, 1);
    auto* lineRow = new QHBoxLayout;
    lineRow->setContentsMargins(12, 0, 12, 0);
    lineRow->addWidget(line_);
    middleColumn->addLayout(lineRow);

    tape_->setMinimumWidth(250);
    auto* across = new QSplitter;
    across->setObjectName("across");
    across->setHandleWidth(1);
    across->addWidget(left);
    across->addWidget(middle);
    across->addWidget(tape_);
    across->setStretchFactor(1, 1);
    across->setCollapsible(1, false);
    across->setSizes({212, 798, 270});
    auto* whole = new QWidget;
    auto* column = new QVBoxLayout(whole);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(across, 1);
    column->addWidget(schemes_);
    setCentralWidget(whole);

    title_ = new QLabel;
    title_->setProperty("quiet", true);
    title_->setContentsMargins(0, 4, 14, 0);
    menuBar()->setCornerWidget(title_);
    buildMenu();

    connect(&session_, &JobSession::fileChanged, this, &MainWindow::showState);
    connect(&session_, &JobSession::jobChanged, this, &MainWindow::showState);
    connect(&session_, &JobSession::selectionChanged, this, &MainWindow::showState);
    connect(board_, &Board::zoomChanged, this, &MainWindow::showState);
    connect(board_, &Board::tapingChanged, this,
            [this](bool on) { act("ownTape")->setChecked(on); });
    connect(line_, &LineBar::finished, board_, qOverload<>(&QWidget::setFocus));
    connect(pieces_, &PieceList::finished, board_, qOverload<>(&QWidget::setFocus));
    connect(schemes_, &SchemeStrip::renameWanted, this, &MainWindow::renameScheme);
    connect(schemes_->state(), &QPushButton::clicked, this, [this] {
        QMenu menu;
        for (auto* group : {units_, schools_}) {
            menu.addActions(group->actions());
            menu.addSeparator();
        }
        menu.exec(QCursor::pos());
    });
    showState();
    board_->setFocus();
}

// ---- the menu ----

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
    auto* hand = menuBar()->addMenu("&Hand over");
    add(hand, "printPlan", "Print the plan …", QKeySequence("Ctrl+P"), [this] { print(); });
    buildViewMenu(menuBar()->addMenu("&View"));
    auto* help = menuBar()->addMenu("Hel&p");
    add(help, "keys", "Keys and phrases", QKeySequence("F1"), [this] { showKeys(); });
}

void MainWindow::buildJobMenu(QMenu* m) {
    add(m, "new", "New job …", QKeySequence::New, [this] { newJob(); });
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
    add(m, "notes", "Tape notes …", QKeySequence("Ctrl+T"), [this] { editNotes(); });
    add(m, "title", "Title and client …", {}, [this] { titleJob(); });
    m->addSeparator();
    add(m, "quit", "Leave Mezzet", QKeySequence("Ctrl+Q"), [this] { close(); });
}

void MainWindow::buildEditMenu(QMenu* m) {
    add(m, "undo", "Undo", QKeySequence::Undo, [this] { session_.undo(); });
    add(m, "redo", "Redo", QKeySequence("Ctrl+Shift+Z"), [this] { session_.redo(); });
    m->addSeparator();
    add(m, "selectAll", "Select all pieces", QKeySequence("Ctrl+A"), [this] {
        std::vector<int> ids;
        for (const auto& p : session_.project()->scheme().pieces)
            ids.push_back(p.id);
        session_.select(ids);
    });
    add(m, "copy", "Copy beside itself", QKeySequence("Ctrl+D"), [this] { copySelected(); });
    add(m, "remove", "Remove", QKeySequence("Delete"), [this] { removeSelected(); });
    add(m, "lock", "Lock, or unlock", QKeySequence("Ctrl+L"), [this] { lockSelected(); });
}

void MainWindow::buildPlaceMenu(QMenu* m) {
    add(m, "find", "Find a piece, or add one", QKeySequence("Ctrl+F"), [this] {
        pieces_->box()->setFocus();
        pieces_->box()->selectAll();
    });
    add(m, "say", "Say it on the line", QKeySequence("Ctrl+K"),
        [this] { line_->edit()->setFocus(); });
    m->addSeparator();
    add(m, "turnRight", "Turn a quarter right", QKeySequence("Ctrl+R"),
        [this] { turnSelected(90); });
    add(m, "turnLeft", "Turn a quarter left", QKeySequence("Ctrl+Shift+R"),
        [this] { turnSelected(-90); });
    add(m, "turnBit", "Turn 5° right", QKeySequence("Ctrl+."), [this] { turnSelected(5); });
    add(m, "turnBitLeft", "Turn 5° left", QKeySequence("Ctrl+,"), [this] { turnSelected(-5); });
    m->addSeparator();
    auto* own = add(m, "ownTape", "Measure with a tape of your own", QKeySequence("Ctrl+M"),
                    [this] { board_->setTaping(!board_->taping()); });
    own->setCheckable(true);
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
}

void MainWindow::buildJudgeMenu(QMenu* m) {
    add(m, "nextMend", "Next thing to mend", QKeySequence("F8"), [this] { walkMend(1); });
    add(m, "lastMend", "The one before", QKeySequence("Shift+F8"), [this] { walkMend(-1); });
    add(m, "mend", "Take the first remedy shown", QKeySequence("Ctrl+Return"),
        [this] { tape_->takeFirstRemedy(); });
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
    add(m, "floor", "The floor", QKeySequence("Alt+0"), [this] { session_.goTo(-1); });
    for (int i = 0; i < 9; ++i)
        add(m, QString("wall%1").arg(i),
            QString("Wall %1").arg(QString::fromStdString(wallName(i))),
            QKeySequence(QString("Alt+%1").arg(i + 1)), [this, i] { session_.goTo(i); });
    m->addSeparator();
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

void MainWindow::setNotation(Notation n) {
    session_.apply({"units " + std::string(unitsName(n.units)), {SetNotation{n}}, {}});
}

void MainWindow::setNight(bool night) {
    night_ = night;
    act("night")->setChecked(night);
    useTheme(night);
    emit session_.jobChanged();
}

void MainWindow::showState() {
    const auto& job = *session_.project();
    const auto name = session_.path().isEmpty() ? QString("not saved yet")
                                                : QFileInfo(session_.path()).fileName();
    setWindowTitle(
        QString("%1%2 (%3) · Mezzet")
            .arg(session_.changed() ? "• " : "", QString::fromStdString(job.title), name));
    title_->setText(QString::fromStdString(job.title) + (session_.changed() ? ", unsaved" : ""));
    // The corner is laid out anew only when asked.
    title_->adjustSize();
    act("undo")->setEnabled(session_.canUndo());
    act("undo")->setText(session_.canUndo() ? "Undo: " + session_.undoWords() : QString("Undo"));
    act("redo")->setEnabled(session_.canRedo());
    act("redo")->setText(session_.canRedo() ? "Redo: " + session_.redoWords() : QString("Redo"));
    const bool some = !session_.selected().empty();
    for (const char* n :
         {"copy", "remove", "lock", "turnRight", "turnLeft", "turnBit", "turnBitLeft"})
        act(n)->setEnabled(some);
    for (int i = 0; i < 9; ++i)
        act(QString("wall%1").arg(i))->setVisible(i < static_cast<int>(job.room->walls.size()));
    for (int i = 0; i < mostUnits; ++i)
        if (notations[i].notation.units == job.notation.units &&
            (isMetric(job.notation.units) ||
             notations[i].notation.denominator == job.notation.denominator))
            act(QString("units%1").arg(i))->setChecked(true);
    if (auto* school = act(QString::fromStdString(job.judgement.school)))
        school->setChecked(true);
    // A screen shows 96 units to the inch.
    const double ratio = 1 / (board_->pixelsPerMm() * 25.4 / 96);
    schemes_->setZoom(QString("1:%1").arg(std::lround(ratio)));
}

// ---- jobs ----

bool MainWindow::mayLeave() {
    if (!session_.changed())
        return true;
    QMessageBox ask(QMessageBox::NoIcon, "Unsaved work",
                    QString("“%1” has changes that are not saved.")
                        .arg(QString::fromStdString(session_.project()->title)),
                    QMessageBox::NoButton, this);
    auto* save = ask.addButton("Save", QMessageBox::AcceptRole);
    auto* leave = ask.addButton("Leave it", QMessageBox::DestructiveRole);
    ask.addButton("Stay", QMessageBox::RejectRole);
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
    mayLeave() ? e->accept() : e->ignore();
}

void MainWindow::newJob() {
    if (!mayLeave())
        return;
    NotesDialog dialog(NotesDialog::example(), true, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    auto job = newProject(session_.library(), dialog.notes().toStdString());
    if (job)
        session_.open(*job, {}, true);
    else
        emit session_.told(QString::fromStdString(job.problem().sentence()), true);
}

void MainWindow::editNotes() {
    NotesDialog dialog(QString::fromStdString(session_.project()->notes), false, this);
    if (dialog.exec() == QDialog::Accepted)
        session_.apply({"take new tape notes", {SetNotes{dialog.notes().toStdString()}}, {}});
}

void MainWindow::openDemo() {
    const auto path = dataFolder() / "demo" / "lantern-row.mezzet";
    auto job = openJob(path, session_.library());
    if (!job) {
        emit session_.told(QString::fromStdString(job.problem().text()), true);
        return;
    }
    // The demo is a copy: saving asks where.
    session_.open(*job, {});
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
    const auto path =
        QFileDialog::getOpenFileName(this, "Open a job", QFileInfo(session_.path()).absolutePath(),
                                     "Mezzet jobs (*.mezzet);;All files (*)");
    if (!path.isEmpty())
        openPath(path);
}

bool MainWindow::saveTo(const QString& path) {
    if (!session_.saveTo(path))
        return false;
    rememberPath(session_.path());
    return true;
}

void MainWindow::saveAs() {
    auto suggested = session_.path();
    if (suggested.isEmpty())
        suggested = QString::fromStdString(session_.project()->title).replace('/', ' ') + ".mezzet";
    auto path =
        QFileDialog::getSaveFileName(this, "Save the job", suggested, "Mezzet jobs (*.mezzet)");
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
        connect(recent_->addAction(QFileInfo(path).fileName()), &QAction::triggered, this,
                [this, path] {
                    if (mayLeave())
                        openPath(path);
                });
    if (recent_->isEmpty())
        recent_->addAction("Nothing yet")->setEnabled(false);
}

bool MainWindow::offerRecovery() {
    for (const auto& r : JobSession::leftBehind()) {
        auto job = openJob(r.file.toStdString(), session_.library());
        if (!job) {
            emit session_.told(QString::fromStdString(job.problem().text()), true);
            continue;
        }
        QMessageBox ask(QMessageBox::NoIcon, "Unsaved work",
                        QString("Mezzet ended without saving “%1”, %2. Take it up again?")
                            .arg(QString::fromStdString((*job)->title), r.when),
                        QMessageBox::NoButton, this);
        ask.setObjectName("recovery");
        auto* yes = ask.addButton("Take it up", QMessageBox::AcceptRole);
        auto* no = ask.addButton("Throw it away", QMessageBox::DestructiveRole);
        ask.addButton("Later", QMessageBox::RejectRole);
        ask.setDefaultButton(yes);
        ask.exec();
        if (ask.clickedButton() == no)
            JobSession::forget(r);
        if (ask.clickedButton() != yes)
            continue;
        session_.open(*job, r.path, true);
        session_.keepCopy(); // under this program's own name, before the old copy goes
        JobSession::forget(r);
        return true;
    }
    return false;
}

void MainWindow::titleJob() {
    bool ok = false;
    const auto& job = *session_.project();
    const auto title = QInputDialog::getText(this, "Title", "Title of the job", QLineEdit::Normal,
                                             QString::fromStdString(job.title), &ok);
    if (!ok || title.trimmed().isEmpty())
        return;
    const auto client = QInputDialog::getText(this, "Client", "For whom", QLineEdit::Normal,
                                              QString::fromStdString(job.client), &ok);
    if (ok)
        session_.apply({"title",
                        {SetTitle{title.trimmed().toStdString(), client.trimmed().toStdString()}},
                        {}});
}

bool MainWindow::printTo(const QString& path, const sheets::PlanOptions& options) {
    auto printed = sheets::printPlan(*session_.project(), options, path.toStdString());
    if (!printed) {
        emit session_.told(QString::fromStdString(printed.problem().text()), true);
        return false;
    }
    emit session_.told(QString("%1: %2, %3")
                           .arg(QFileInfo(path).fileName(), QString::fromStdString(printed->paper),
                                QString::fromStdString(printed->scale)),
                       false);
    return true;
}

void MainWindow::print() {
    SheetDialog dialog(isMetric(session_.project()->notation.units), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    const auto ending = dialog.format();
    auto path = QFileDialog::getSaveFileName(
        this, "Print the plan to",
        QString::fromStdString(session_.project()->title).replace('/', ' ') + ", plan." + ending,
        QString("%1 (*.%2)").arg(ending.toUpper(), ending));
    if (path.isEmpty())
        return;
    if (QFileInfo(path).suffix().isEmpty())
        path += "." + ending;
    printTo(path, dialog.options());
}

// ---- pieces ----

void MainWindow::removeSelected() {
    Edit e;
    std::vector<std::string> names;
    for (const int id : session_.selected()) {
        e.acts.emplace_back(RemovePiece{id});
        names.push_back(session_.project()->scheme().byId(id)->name);
    }
    e.words = "remove " + listed(names);
    if (!e.acts.empty() && session_.apply(e))
        session_.select({});
}

void MainWindow::copySelected() {
    const auto ids = session_.selected();
    Edit e;
    int next = session_.project()->scheme().nextId;
    Scheme names = session_.project()->scheme();
    const double off = sheets::graphSquare(session_.project()->notation).mm();
    std::vector<int> made;
    for (const int id : ids) {
        Piece p = *session_.project()->scheme().byId(id);
        p.pose = session_.scene()->byId(id)->pose;
        p.pose.at = p.pose.at + Vec2{off, off};
        p.ties.clear();
        p.locked = false;
        p.name = names.freeName(p.name);
        p.id = next++;
        names.pieces.push_back(p);
        made.push_back(p.id);
        e.acts.emplace_back(PutPiece{p});
    }
    e.words = ids.size() == 1 ? "copy " + session_.project()->scheme().byId(ids.front())->name
                              : fmt::format("copy {} pieces", ids.size());
    if (!e.acts.empty() && session_.apply(e))
        session_.select(made);
}

void MainWindow::turnSelected(double degrees) {
    auto edit = turnBy(*session_.project(), *session_.scene(), session_.selected(),
                       Angle::degrees(degrees));
    if (!edit)
        emit session_.told(QString::fromStdString(edit.problem().sentence()), true);
    else if (edit->acts.empty())
        emit session_.told("It is locked. Unlock it first (Ctrl+L).", true);
    else
        session_.apply(*edit);
}

void MainWindow::lockSelected() {
    Edit e;
    e.words = "lock or unlock";
    for (const int id : session_.selected()) {
        Piece p = *session_.project()->scheme().byId(id);
        p.pose = session_.scene()->byId(id)->pose;
        p.locked = !p.locked;
        e.acts.emplace_back(PutPiece{p});
    }
    if (!e.acts.empty())
        session_.apply(e);
}

void MainWindow::walkMend(int step) {
    std::vector<int> pieces;
    for (const Reading& r : session_.readings())
        if (r.toMend() && std::find(pieces.begin(), pieces.end(), r.piece) == pieces.end())
            pieces.push_back(r.piece);
    if (pieces.empty()) {
        emit session_.told("Nothing to mend", false);
        return;
    }
    const auto now = session_.selected().size() == 1
                         ? std::find(pieces.begin(), pieces.end(), session_.selected().front())
                         : pieces.end();
    const auto n = static_cast<std::ptrdiff_t>(pieces.size());
    const std::ptrdiff_t at = now == pieces.end() ? (step > 0 ? -1 : n) : now - pieces.begin();
    session_.goTo(-1);
    session_.select({pieces[static_cast<std::size_t>((at + step + n) % n)]});
}

void MainWindow::renameScheme() {
    bool ok = false;
    const auto name =
        QInputDialog::getText(this, "Scheme", "Name of this scheme", QLineEdit::Normal,
                              QString::fromStdString(session_.project()->scheme().name), &ok);
    if (ok && !name.trimmed().isEmpty())
        session_.apply({"rename the scheme", {RenameScheme{name.trimmed().toStdString()}}, {}});
}

void MainWindow::showKeys() {
    QMessageBox box(this);
    box.setWindowTitle("Keys and phrases");
    box.setTextFormat(Qt::RichText);
    box.setText(
        "<p><b>On the board</b><br>Arrows nudge by the tape's division, Shift by a graph square, "
        "Ctrl keeps every tie.<br>"
        "Drag: ties' numbers follow. Shift while dragging keeps every tie, Ctrl drops them.<br>"
        "Ctrl+click adds to the selection. Tab goes from piece to piece. Space and drag, or the "
        "middle button, pans; the wheel zooms.</p>"
        "<p><b>On the line</b> (Ctrl+K)<br>sofa 84 x 36 x 34 against wall C, centred on window "
        "1<br>coffee table 16 from sofa, centred on sofa<br>"
        "round table 54 called supper table at 14' 8\" from wall E, 8' 2\" from wall A<br>move "
        "wing chair 6 toward wall A<br>turn wing chair to face sofa<br>size sofa 78 x 36<br>remove "
        "floor lamp</p>"
        "<p>Tab completes, Up and Down recall. Every act and its key is in the menus.</p>");
    box.exec();
}

} // namespace mezzet::app
