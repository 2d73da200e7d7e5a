#include "app/window/main_window.h"
#include "app/look/tr.h"

#include "app/dialogs/sheet_dialog.h"
#include "app/look/ask.h"
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
#include <QLabel>
#include <QMenu>
#include <QMenuBar>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>
#include <QSplitter>
#include <QStackedWidget>
#include <QTextBrowser>
#include <QTimer>
#include <QVBoxLayout>

#include <fmt/format.h>

#include <algorithm>

namespace mezzet::app {

MainWindow::MainWindow(Library library, QWidget* parent)
    : QMainWindow(parent), session_(std::move(library)) {
    PlainWords::watchOver();
    setWindowIcon(QIcon(":/icons/mezzet.svg"));
    openAt(*this, {1280, 800});
    board_ = new Board(session_);
    key_ = new KeyPanel(session_);
    pieces_ = new PieceList(session_);
    tape_ = new TapePanel(session_);
    line_ = new LineBar(session_);
    schemes_ = new SchemeStrip(session_);

    auto* left = new QWidget;
    auto* leftColumn = new QVBoxLayout(left);
    leftColumn->setContentsMargins(10, 8, 8, 8);
    surfacesSay_ = new QLabel(tr("Surfaces"));
    surfacesSay_->setProperty("quiet", true);
    leftColumn->addWidget(surfacesSay_);
    room_ = new QComboBox;
    room_->setObjectName("room");
    room_->setAccessibleName(tr("The room"));
    room_->setToolTip(tr("Go to another room of the job (or say: room Landing)"));
    leftColumn->addWidget(room_);
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
    start_ = new StartPage;
    pages_ = new QStackedWidget;
    pages_->addWidget(start_);
    pages_->addWidget(whole);
    setCentralWidget(pages_);
    connect(start_, &StartPage::actWanted, this, [this](const QString& name) {
        if (auto* a = act(name))
            a->trigger();
    });
    connect(start_, &StartPage::jobWanted, this, [this](const QString& path) { openPath(path); });

    title_ = new QLabel;
    title_->setProperty("quiet", true);
    title_->setContentsMargins(0, 4, 14, 0);
    menuBar()->setCornerWidget(title_);
    buildMenu();

    connect(&session_, &JobSession::fileChanged, this, &MainWindow::showState);
    // Afterwards, since a dialog may open.
    connect(
        &session_, &JobSession::asked, this,
        [this](const QString& name) {
            if (QAction* a = act(name); a != nullptr && a->isEnabled())
                a->trigger();
        },
        Qt::QueuedConnection);
    connect(&session_, &JobSession::jobChanged, this, &MainWindow::showState);
    connect(&session_, &JobSession::selectionChanged, this, &MainWindow::showState);
    connect(board_, &Board::zoomChanged, this, &MainWindow::showState);
    connect(board_, &Board::tapingChanged, this,
            [this](bool on) { act("ownTape")->setChecked(on); });
    connect(board_, &Board::editWanted, this, &MainWindow::editPiece);
    connect(board_, &Board::menuWanted, this, &MainWindow::showPieceMenu);
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
    connect(line_, &LineBar::mendWanted, this, &MainWindow::mendAll);
    connect(schemes_, &SchemeStrip::besidesWanted, this, &MainWindow::layBesides);
    connect(schemes_, &SchemeStrip::arrangementWanted, this, &MainWindow::setArrangement);
    connect(&session_, &JobSession::jobChanged, this, [this] { board_->setRegions({}); });
    connect(tape_, &TapePanel::actWanted, this, [this](const QString& name) {
        if (auto* a = act(name))
            a->trigger();
    });
    connect(room_, &QComboBox::activated, this, [this](int index) {
        const auto& job = *session_.project();
        for (std::size_t i = 0; i < job.schemes.size(); ++i)
            if (job.schemes[i]->room == static_cast<std::size_t>(index) &&
                job.scheme().room != static_cast<std::size_t>(index)) {
                session_.apply(
                    {inOwnWords("go to room ") + job.rooms[static_cast<std::size_t>(index)]->name,
                     {SwitchScheme{i}},
                     {}});
                break;
            }
    });
    showState();
    board_->setFocus();
}

void MainWindow::showRoom() {
    const auto& job = *session_.project();
    QStringList names;
    for (const auto& r : job.rooms)
        names << QString::fromStdString(r->name);
    QStringList shown;
    for (int i = 0; i < room_->count(); ++i)
        shown << room_->itemText(i);
    const auto here = static_cast<int>(job.scheme().room);
    const bool other = here != shownRoom_;
    shownRoom_ = here;
    if (names != shown) {
        room_->clear();
        room_->addItems(names);
    }
    room_->setCurrentIndex(here);
    room_->setVisible(names.size() > 1);
    surfacesSay_->setVisible(names.size() < 2);
    if (other) {
        session_.goTo(theFloor());
        board_->zoomToFit();
    }
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
    if (session_.inTrial())
        return; // a drag changes nothing that is told here until it is done
    showRoom();
    const auto& job = *session_.project();
    const bool begun = !job.room->walls.empty() || !session_.path().isEmpty() || session_.changed();
    if (!begun)
        start_->showRecent(QSettings().value("recent").toStringList());
    if (pages_->currentIndex() != (begun ? 1 : 0)) {
        pages_->setCurrentIndex(begun ? 1 : 0);
        if (begun)
            board_->setFocus();
    }
    const auto name =
        session_.path().isEmpty() ? tr("not saved yet") : QFileInfo(session_.path()).fileName();
    setWindowTitle(
        tr("%1%2 (%3) · Mezzet")
            .arg(session_.changed() ? "• " : "", QString::fromStdString(job.title), name));
    const auto title =
        QString::fromStdString(job.title) + (session_.changed() ? tr(", unsaved") : "");
    if (title != title_->text()) {
        title_->setText(title);
        // The menu bar lays its corner out anew only when it is given one.
        menuBar()->setCornerWidget(title_);
    }
    act("undo")->setEnabled(session_.canUndo());
    act("undo")->setText(session_.canUndo() ? tr("Undo: ") + session_.undoWords() : tr("Undo"));
    act("redo")->setEnabled(session_.canRedo());
    act("redo")->setText(session_.canRedo() ? tr("Redo: ") + session_.redoWords() : tr("Redo"));
    const bool some = !session_.selected().empty();
    for (const char* n : {"copy", "remove", "lock", "turnRight", "turnLeft", "turnBit",
                          "turnBitLeft", "zone", "keepKind"})
        act(n)->setEnabled(some);
    const bool several = session_.selected().size() > 1;
    for (const char* n :
         {"alignFronts", "alignBacks", "alignLefts", "alignRights", "alignMiddles", "alignAxis"})
        act(n)->setEnabled(several);
    act("spread")->setEnabled(session_.selected().size() > 2);
    act("getBack")->setEnabled(!job.thrownAway.empty());
    act("access")->setChecked(job.judgement.access);
    act("guests")->setChecked(job.scheme().arrangement == Arrangement::guests);
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

void MainWindow::titleJob() {
    const auto& job = *session_.project();
    const auto title = askText(this, {tr("Title"), tr("Title of the job"), tr("Go on")},
                               QString::fromStdString(job.title))
                           .value_or(QString())
                           .trimmed();
    if (title.isEmpty())
        return;
    const auto client = askText(this, {tr("Client"), tr("For whom"), tr("Set the title")},
                                QString::fromStdString(job.client));
    if (client)
        session_.apply(
            {"title", {SetTitle{title.toStdString(), client->trimmed().toStdString()}}, {}});
}

bool MainWindow::writeDxf(const QString& path) {
    auto text = dxfText(*session_.scene());
    auto done =
        text ? writeWhole(path.toStdString(), *text) : Result<std::monostate>(text.problem());
    emit session_.told(done
                           ? QFileInfo(path).fileName() + tr(": the plan in millimetres, by layers")
                           : QString::fromStdString(done.problem().text()),
                       !done);
    return done.ok();
}

void MainWindow::saveDxf() {
    const auto title = QString::fromStdString(session_.project()->title).replace('/', ' ');
    const auto path = askWhere(this, tr("Write the plan as DXF"), title, "dxf", tr("DXF drawings"));
    if (!path.isEmpty())
        writeDxf(path);
}

// ---- pieces ----

void MainWindow::removeSelected() {
    if (!session_.selected().empty() &&
        session_.apply(removePieces(*session_.project(), session_.selected())))
        session_.select({});
}

void MainWindow::copySelected() {
    const auto count = session_.selected().size();
    if (count == 0 ||
        !session_.apply(copyPieces(*session_.project(), *session_.scene(), session_.selected())))
        return;
    const Scheme& scheme = session_.project()->scheme();
    const auto& pieces = scheme.pieces;
    std::vector<int> made;
    for (std::size_t i = pieces.size() - count; i < pieces.size(); ++i)
        made.push_back(pieces[i].id);
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
    const auto& ids = session_.selected();
    if (ids.empty())
        return;
    // One that is not locked yet locks them all.
    const auto& scheme = session_.project()->scheme();
    const bool on =
        std::any_of(ids.begin(), ids.end(), [&](int id) { return !scheme.byId(id)->locked; });
    session_.apply(lockPieces(*session_.project(), *session_.scene(), ids, on));
}

void MainWindow::walkMend(int step) {
    // By weight: what can't be first.
    std::vector<int> pieces;
    for (const Reading* r : toMendByWeight(session_.readings()))
        if (r->piece != 0 && std::find(pieces.begin(), pieces.end(), r->piece) == pieces.end())
            pieces.push_back(r->piece);
    if (pieces.empty()) {
        emit session_.told("Nothing to mend", false);
        return;
    }
    const auto now = session_.selected().size() == 1
                         ? std::find(pieces.begin(), pieces.end(), session_.selected().front())
                         : pieces.end();
    const auto n = static_cast<std::ptrdiff_t>(pieces.size());
    const std::ptrdiff_t at = now == pieces.end() ? (step > 0 ? -1 : n) : now - pieces.begin();
    session_.show(pieces[static_cast<std::size_t>((at + step + n) % n)]);
}

void MainWindow::renameScheme() {
    const auto name = askText(this, {tr("Scheme"), tr("Name of this scheme"), tr("Rename it")},
                              QString::fromStdString(session_.project()->scheme().name))
                          .value_or(QString())
                          .trimmed();
    if (!name.isEmpty())
        session_.apply({inOwnWords("rename the scheme"), {RenameScheme{name.toStdString()}}, {}});
}

void MainWindow::showKeys() {
    QDialog box(this);
    box.setWindowTitle(tr("Keys and phrases"));
    box.setObjectName("keysAndPhrases");
    auto* column = new QVBoxLayout(&box);
    auto* page = new QTextBrowser(&box);
    page->setAccessibleName(tr("Keys, and what can be said on the line"));
    page->setFrameShape(QFrame::NoFrame);
    page->document()->setDefaultStyleSheet(
        QString("td, th { padding: 3px 10px 3px 0; } code { color: %1; }").arg(look().ink.name()));
    // The same page as docs/line.md, after what the board takes.
    QString text = tr(
        "# The board\n\n"
        "Arrows nudge by an inch or a centimetre, Shift by a graph square, Ctrl and Shift by "
        "the tape's division; Ctrl alone keeps every tie. Press what is chosen once more, and what "
        "lies under it is "
        "chosen. A kind is dragged from the list to its place; on a wall's view what stands "
        "before it goes along it. Rest the pointer on anything, and it is told what it is. "
        "Drag: ties' numbers follow, and what it lines up with is offered, and "
        "walls stop it; Alt leaves it to the hand. Shift while dragging keeps every tie, Ctrl "
        "drops them. Ctrl+click adds to the "
        "selection. Tab goes from piece to piece. Space and drag, or the middle button, pans; the "
        "wheel zooms. On the line (Ctrl+K) Tab completes, Up and Down recall. Every act and its "
        "key "
        "is in the menus.\n\n");
    text += QString::fromStdString(linePage(session_.project()->notation.units));
    page->setMarkdown(text);
    column->addWidget(page);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close, &box);
    connect(buttons, &QDialogButtonBox::rejected, &box, &QDialog::reject);
    column->addWidget(buttons);
    box.resize(std::min(980, width() - 60), std::min(720, height() - 60));
    box.exec();
}

} // namespace mezzet::app
