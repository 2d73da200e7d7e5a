// Notes being typed are unsaved work like any other.
#include "app/measure/measure_screen.h"
#include "app/session/job_session.h"

#include <QDir>
#include <QFile>
#include <QLabel>
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
        laserSays_->setText("The copy for safety could not be written: " +
                            QString::fromStdString(kept.problem().sentence()));
    return kept.ok();
}

void MeasureScreen::forgetDraft() {
    QFile::remove(Recovery::notesFile());
}

/// Nothing that was typed is thrown away unasked.
void MeasureScreen::reject() {
    if (isVisible() && notes() != begunFrom_) {
        QMessageBox ask(QMessageBox::NoIcon, "Notes not taken", "These notes were changed.",
                        QMessageBox::NoButton, this);
        ask.setObjectName("notesChanged");
        auto* away = ask.addButton("Throw away the changes", QMessageBox::DestructiveRole);
        auto* stay = ask.addButton("Go on typing", QMessageBox::RejectRole);
        ask.setDefaultButton(stay);
        ask.exec();
        if (ask.clickedButton() != away)
            return;
    }
    draft_.stop();
    forgetDraft();
    QDialog::reject();
}

} // namespace mezzet::app
