// The acts about the floor as a whole: finding, fitting, mending, comparing, arranging, own kinds.
#include "app/dialogs/compare_view.h"
#include "app/dialogs/finder.h"
#include "app/dialogs/fit_dialog.h"
#include "app/dialogs/mend_dialog.h"
#include "app/look/ask.h"
#include "app/look/tr.h"
#include "app/window/main_window.h"
#include "files/whole_file.h"
#include "kit/csv.h"
#include "measure/text.h"

#include <QAction>
#include <QFileInfo>

#include <algorithm>

namespace mezzet::app {

void MainWindow::findAnything() {
    Finder finder(session_, findChildren<QAction*>(), this);
    connect(&finder, &Finder::lineWanted, this, [this](const QString& text) {
        line_->edit()->setText(text);
        line_->edit()->setFocus();
    });
    finder.exec();
}

void MainWindow::askWhatFits() {
    FitDialog dialog(session_, this);
    connect(&dialog, &FitDialog::regionsFound, board_, &Board::setRegions);
    const auto& chosen = session_.selected();
    if (chosen.size() == 1)
        if (const auto* p = session_.project()->scheme().byId(chosen.front());
            p != nullptr && p->kind->role == Role::diningTable)
            dialog.ask(QString("table instead of ") + QString::fromStdString(p->name));
    dialog.exec();
}

void MainWindow::mendAll() {
    MendDialog(session_, this).exec();
}

void MainWindow::layBesides() {
    CompareView(session_, this).exec();
}

void MainWindow::alignSelected(AlignBy by) {
    const auto edit = alignPieces(*session_.project(), *session_.scene(), session_.selected(), by);
    if (edit.acts.empty())
        emit session_.told("They line up already", false);
    else
        session_.apply(edit);
}

void MainWindow::spreadSelected() {
    const auto edit = spreadPieces(*session_.project(), *session_.scene(), session_.selected());
    if (!edit)
        emit session_.told(QString::fromStdString(edit.problem().sentence()), true);
    else if (edit->acts.empty())
        emit session_.told("They are evenly spread already", false);
    else
        session_.apply(*edit);
}

void MainWindow::mirror(MirrorBy by) {
    auto ids = session_.selected();
    if (ids.size() < 2) {
        ids.clear();
        for (const auto& p : session_.project()->scheme().pieces)
            if (!p.onWall())
                ids.push_back(p.id);
    }
    const auto edit = mirrorPieces(*session_.project(), *session_.scene(), ids, by);
    if (!edit)
        emit session_.told(QString::fromStdString(edit.problem().sentence()), true);
    else
        session_.apply(*edit);
}

void MainWindow::seatSelected() {
    const auto& chosen = session_.selected();
    const Piece* table =
        chosen.size() == 1 ? session_.project()->scheme().byId(chosen.front()) : nullptr;
    if (table == nullptr || !table->kind->isSatInTo()) {
        emit session_.told("Choose a table first", true);
        return;
    }
    const int most = std::max(1, seatsBy(*table, elbowRoom(*session_.project())));
    const auto n = askNumber(this,
                             {tr("Seat the table"),
                              tr("How many at %1? Its edge gives elbow room to %2.")
                                  .arg(QString::fromStdString(table->name))
                                  .arg(most),
                              tr("Seat them")},
                             most, 1, mostAtTable);
    if (n)
        session_.sayLine(
            QString("seat %1 with %2").arg(QString::fromStdString(table->name)).arg(*n));
}

void MainWindow::zoneSelected() {
    if (session_.selected().empty())
        return;
    const auto name =
        askText(this, {tr("Zone"), tr("What is this zone called?"), tr("Make the zone")},
                tr("Zone %1").arg(session_.project()->scheme().zones.size() + 1))
            .value_or(QString())
            .trimmed();
    if (name.isEmpty())
        return;
    if (session_.apply({"zone " + name.toStdString(),
                        {SetZone{{name.toStdString(), session_.selected()}}},
                        {}}))
        if (!act("showZones")->isChecked())
            act("showZones")->trigger();
}

void MainWindow::keepKind() {
    const auto& chosen = session_.selected();
    const Piece* p =
        chosen.size() == 1 ? session_.project()->scheme().byId(chosen.front()) : nullptr;
    if (p == nullptr) {
        emit session_.told("Choose one piece first", true);
        return;
    }
    const auto name = askText(this,
                              {tr("Keep as a kind of the studio's own"),
                               tr("What is it called in the kit?"), tr("Keep it")},
                              QString::fromStdString(p->name))
                          .value_or(QString())
                          .trimmed();
    if (name.isEmpty())
        return;
    Kind k = *p->kind;
    k.own = true;
    k.name = name.toStdString();
    k.id = "own-" + plainWord(k.name);
    std::replace(k.id.begin(), k.id.end(), ' ', '-');
    k.also.clear();
    k.size = p->size;
    k.heights = p->heights;
    k.footprint = p->footprint;
    if (keepOwnKinds({k}))
        emit session_.told(name + tr(" is in the studio's kit"), false);
}

bool MainWindow::keepOwnKinds(const std::vector<Kind>& kinds) {
    const auto next = withOwnKinds(session_.library(), kinds, dataFolder());
    const auto kept =
        next ? keepStudioKinds(*next, studioFolder()) : Result<std::monostate>(next.problem());
    if (!kept) {
        emit session_.told(QString::fromStdString(kept.problem().sentence()), true);
        return false;
    }
    session_.setLibrary(*next);
    return true;
}

bool MainWindow::importKinds(const QString& path) {
    auto text = readTextFile(path.toStdString(), std::size_t{4} << 20U);
    auto kinds = text ? kindsFromCsv(*text, QFileInfo(path).fileName().toStdString(),
                                     *session_.library().kit)
                      : Result<std::vector<Kind>>(text.problem());
    if (!kinds) {
        emit session_.told(QString::fromStdString(kinds.problem().text()), true);
        return false;
    }
    if (!keepOwnKinds(*kinds))
        return false;
    emit session_.told(tr("%1 kinds are in the studio's kit").arg(kinds->size()), false);
    return true;
}

bool MainWindow::exportKinds(const QString& path) {
    const auto done =
        writeWhole(path.toStdString(), kindsAsCsv(session_.library().kit->kinds(),
                                                  isMetric(session_.project()->notation.units)));
    emit session_.told(done ? QFileInfo(path).fileName() + tr(": the kit")
                            : QString::fromStdString(done.problem().text()),
                       !done);
    return done.ok();
}

void MainWindow::keepBands() {
    const auto done = keepStudioBands(session_.project()->judgement, studioFolder());
    if (done) {
        Library next = session_.library();
        next.studio = session_.project()->judgement;
        session_.setLibrary(next);
    }
    emit session_.told(done ? tr("New jobs begin with these bands")
                            : QString::fromStdString(done.problem().text()),
                       !done);
}

void MainWindow::briefSeats() {
    const auto& job = *session_.project();
    const auto it = job.judgement.briefs.find(job.room->name);
    Brief b = it == job.judgement.briefs.end() ? Brief{} : it->second;
    const auto day = askNumber(
        this, {tr("Brief"), tr("Seats every day (0 for no brief)"), tr("Go on")}, b.day, 0, 500);
    if (!day)
        return;
    b.day = *day;
    const auto guests =
        askNumber(this, {tr("Brief"), tr("Seats for guests, perches and all"), tr("Set the brief")},
                  std::max(b.guests, b.day), 0, 500);
    if (!guests)
        return;
    b.guests = *guests;
    session_.apply({inOwnWords("the brief"), {SetBrief{b}}, {}});
}

void MainWindow::noteScheme() {
    const auto note = askLines(
        this, {tr("Why this scheme"), tr("It is printed with the plan."), tr("Keep the note")},
        QString::fromStdString(session_.project()->scheme().note));
    if (note)
        session_.apply(
            {inOwnWords("note on the scheme"), {SetSchemeNote{note->trimmed().toStdString()}}, {}});
}

void MainWindow::getBackScheme() {
    const auto& gone = session_.project()->thrownAway;
    if (gone.empty())
        return;
    std::size_t index = gone.size() - 1;
    if (gone.size() > 1) {
        QStringList names;
        for (std::size_t i = gone.size(); i-- > 0;)
            names << tr("%1 (%2 pieces)")
                         .arg(QString::fromStdString(gone[i]->name))
                         .arg(gone[i]->pieces.size());
        const auto which =
            askWhich(this, {tr("Get back a scheme"), tr("Which one?"), tr("Get it back")}, names);
        if (!which || *which < 0)
            return;
        index = gone.size() - 1 - static_cast<std::size_t>(*which);
    }
    session_.apply({inOwnWords("get back ") + gone[index]->name, {RestoreScheme{index}}, {}});
}

void MainWindow::setArrangement(Arrangement a) {
    if (session_.project()->scheme().arrangement != a)
        session_.apply({a == Arrangement::guests ? inOwnWords("arrange for guests")
                                                 : inOwnWords("arrange for every day"),
                        {SetArrangement{a}},
                        {}});
    else
        showState();
}

} // namespace mezzet::app
