// Notes being typed are unsaved work like any other.
#include "app/look/tr.h"
#include "app/measure/measure_screen.h"
#include "app/session/job_session.h"

#include <QDir>
#include <QFile>
#include <QLabel>
#include <QLocale>
#include <QMessageBox>
#include <QPushButton>

namespace mezzet::app {

bool MeasureScreen::keepDraft() {
    if (notes() == begunFrom_)
        return true;
    QDir().mkpath(Recovery::folder());
    const auto kept =
        writeWhole(Recovery::notesFile().toStdString(), notes().toUtf8().toStdString());
    if (!kept)
        laserSays_->setText(tr("The copy for safety could not be written: ") +
                            QString::fromStdString(kept.problem().sentence()));
    return kept.ok();
}

void MeasureScreen::forgetDraft() {
    QFile::remove(Recovery::notesFile());
}

/// Nothing that was typed is thrown away unasked.
void MeasureScreen::reject() {
    if (isVisible() && notes() != begunFrom_) {
        QMessageBox ask(QMessageBox::NoIcon, tr("Notes not taken"), tr("These notes were changed."),
                        QMessageBox::NoButton, this);
        ask.setObjectName("notesChanged");
        auto* away = ask.addButton(tr("Throw away the changes"), QMessageBox::DestructiveRole);
        auto* stay = ask.addButton(tr("Go on typing"), QMessageBox::RejectRole);
        ask.setDefaultButton(stay);
        ask.exec();
        if (ask.clickedButton() != away)
            return;
    }
    draft_.stop();
    forgetDraft();
    QDialog::reject();
}

QString MeasureScreen::example() {
    if (QLocale().measurementSystem() == QLocale::MetricSystem)
        return tr(
            "units metres\n"
            "room My room\n"
            "ceiling 2.45\n"
            "wall A 4.30\n"
            "  window 1.40 from left, 1.50 wide, 1.35 high, sill 0.85\n"
            "wall B 3.60\n"
            "wall C 4.30\n"
            "  door 0.45 from left, 0.80 wide, 2.03 high, hinge left, swings in, undercut 0.02\n"
            "wall D 3.60\n"
            "diagonal A to C 5.608\n");
    return QString(
        "room My room\n"
        "ceiling 8' 0\"\n"
        "wall A 14' 0\"\n"
        "  window 4' 6\" from left, 5' 0\" wide, 4' 6\" high, sill 2' 8\"\n"
        "wall B 12' 0\"\n"
        "wall C 14' 0\"\n"
        "  door 1' 6\" from left, 32 wide, 80 high, hinge left, swings in, undercut 3/4\n"
        "wall D 12' 0\"\n"
        "diagonal A to C 18' 5 1/4\"\n");
}

} // namespace mezzet::app
