#include "app/handover/tape_tab.h"
#include "app/look/tr.h"

#include "measure/texts.h"
#include "sheets/handover_draw.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace mezzet::app {

TapePicture::TapePicture()
    : PaperWidget("tapePicture", tr("The floor with the tapes of this step")) {
    setMinimumSize(380, 300);
}

void TapePicture::show(ScenePtr scene, const TapeOut& tape, const Notation& shown,
                       std::optional<std::size_t> step) {
    scene_ = std::move(scene);
    tape_ = tape;
    shown_ = shown;
    step_ = step;
    update();
}

void TapePicture::drawPaper(QPainter& p, double unitsPerMm, const QRectF& mm) {
    if (scene_)
        sheets::drawTapePlan(p, unitsPerMm, mm, *scene_, shown_, tape_, step_);
}

TapeTab::TapeTab(JobSession& session) : HandoverTab(session) {
    auto* whole = new QHBoxLayout(this);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(14);
    picture_ = new TapePicture;
    whole->addWidget(picture_, 1);
    auto* right = new QVBoxLayout;
    words_ = new QLabel;
    words_->setObjectName("tapeWords");
    words_->setTextFormat(Qt::PlainText);
    words_->setWordWrap(true);
    words_->setMinimumHeight(64);
    right->addWidget(words_);
    steps_ = new QListWidget;
    steps_->setObjectName("tapeSteps");
    steps_->setAccessibleName(tr("Steps"));
    steps_->setFixedWidth(380);
    steps_->setWordWrap(true);
    right->addWidget(steps_, 1);
    auto* foot = new QHBoxLayout;
    auto* next = new QPushButton(tr("Marked, the next one"));
    next->setObjectName("tapeDone");
    next->setAutoDefault(false);
    connect(next, &QPushButton::clicked, this, &TapeTab::done);
    foot->addWidget(next);
    addPlainButton(foot, tr("It came to lie elsewhere …"), "tapeBuilt", [this] {
        const int at = steps_->currentRow();
        if (at >= 0 && static_cast<std::size_t>(at) < tape_.steps.size())
            emit builtWanted(fromCore(tape_.steps[static_cast<std::size_t>(at)].name));
    });
    foot->addStretch(1);
    addPlainButton(foot, tr("Print it …"), "tapePrint", [this] { emit printWanted(); });
    right->addLayout(foot);
    whole->addLayout(right);
    connect(steps_, &QListWidget::currentRowChanged, this, &TapeTab::showStep);
}

void TapeTab::refresh() {
    const Project& job = *session_.project();
    tape_ = tapeOut(*session_.scene(), job.notation);
    QStringList lines;
    for (const TapeStep& s : tape_.steps) {
        const auto from = [&](const TapeFrom& f) {
            return worded("{} from {}", write(f.length, job.notation), f.mark);
        };
        lines << fromCore(s.name + ", " + s.corner + ": " + from(s.from[0]) + inOwnWords(" and ") +
                          from(s.from[1]) +
                          (s.overMarked ? inOwnWords(" (over what is marked)") : ""));
    }
    // The same floor keeps its ticks.
    if (lines == last_) {
        showStep();
        return;
    }
    last_ = lines;
    const QSignalBlocker quiet(steps_);
    steps_->clear();
    for (const QString& line : lines) {
        auto* item = new QListWidgetItem(line, steps_);
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        item->setCheckState(Qt::Unchecked);
    }
    steps_->setCurrentRow(steps_->count() > 0 ? 0 : -1);
    showStep();
}

void TapeTab::showStep() {
    const int at = steps_->currentRow();
    const bool is = at >= 0 && static_cast<std::size_t>(at) < tape_.steps.size();
    picture_->show(session_.scene(), tape_, session_.project()->notation,
                   is ? std::optional(static_cast<std::size_t>(at)) : std::nullopt);
    words_->setText(
        is ? tr("%1 of %2.  %3").arg(at + 1).arg(tape_.steps.size()).arg(steps_->item(at)->text())
           : tr("Nothing stands on the floor yet."));
}

void TapeTab::done() {
    const int at = steps_->currentRow();
    if (at < 0)
        return;
    steps_->item(at)->setCheckState(Qt::Checked);
    if (at + 1 < steps_->count())
        steps_->setCurrentRow(at + 1);
    else
        words_->setText(tr("All %1 points are marked; %2 of tape.")
                            .arg(tape_.steps.size())
                            .arg(fromCore(write(tape_.tape, session_.project()->notation))));
}

} // namespace mezzet::app
