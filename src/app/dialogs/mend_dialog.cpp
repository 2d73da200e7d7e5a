#include "app/dialogs/mend_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "app/panels/answer_column.h"
#include "app/session/long_work.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace mezzet::app {

MendDialog::MendDialog(JobSession& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName("mendDialog");
    setWindowTitle(tr("Mend all I can"));
    openAt(*this, {600, 540});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(20, 16, 20, 16);
    whole->setSpacing(10);
    auto* say = new QLabel(
        tr("Each step mends the weightiest thing left. None puts a piece through a wall or "
           "another piece, or shuts a door or a way; whatever else it upsets is told under "
           "it. Locked pieces stay."));
    say->setWordWrap(true);
    say->setProperty("quiet", true);
    whole->addWidget(say);
    auto* row = new QHBoxLayout;
    row->addWidget(new QLabel(tr("No piece ends farther than")));
    const Notation n = session.project()->notation;
    const Length usual = isMetric(n.units) ? Length::centimetres(60) : Length::inches(24);
    largest_ = new QLineEdit(QString::fromStdString(writeGap(usual, n)));
    largest_->setProperty("figure", true);
    largest_->setFixedWidth(90);
    largest_->setAccessibleName(tr("The largest move"));
    row->addWidget(largest_);
    row->addWidget(new QLabel(tr("from where it stood")));
    row->addStretch(1);
    auto* again = new QPushButton(tr("Look again"));
    again->setAutoDefault(false);
    row->addWidget(again);
    whole->addLayout(row);
    work_ = new LongWork;
    whole->addWidget(work_);
    heading_ = new QLabel;
    heading_->setProperty("heading", true);
    whole->addWidget(heading_);
    answerRows_ = new AnswerColumn(10);
    whole->addWidget(answerRows_, 1);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    take_ = new QPushButton(tr("Take these steps"));
    take_->setObjectName("takeAll");
    take_->setDefault(true);
    take_->setEnabled(false);
    auto* cancel = new QPushButton(tr("Change nothing"));
    cancel->setAutoDefault(false);
    foot->addWidget(take_);
    foot->addWidget(cancel);
    whole->addLayout(foot);
    connect(again, &QPushButton::clicked, this, &MendDialog::start);
    connect(largest_, &QLineEdit::returnPressed, this, &MendDialog::start);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(take_, &QPushButton::clicked, this, [this] {
        if (found_ && session_.apply(found_->edit))
            accept();
    });
    start();
}

MendDialog::~MendDialog() = default;

bool MendDialog::looking() const {
    return work_->running();
}

void MendDialog::start() {
    const auto n = session_.project()->notation;
    const auto most = readLength(largest_->text().toStdString(),
                                 n.units == Units::feetAndInches ? Units::inches : n.units);
    if (!most || *most < Length{}) {
        heading_->setText(most ? tr("A move is no less than nothing")
                               : QString::fromStdString(most.problem().sentence()));
        largest_->selectAll();
        return;
    }
    take_->setEnabled(false);
    heading_->setText(tr("Looking …"));
    auto result = std::make_shared<Mended>();
    work_->start(
        tr("Trying remedies on the whole room"),
        [result, job = session_.settledProject(), most = *most](Watch& watch) {
            MendAsked asked;
            asked.largestMove = most;
            asked.goesOn = [&watch](int done, int left) {
                watch.share = static_cast<double>(done) / std::max(done + left, 1);
                return !watch.stop;
            };
            asked.stopped = [&watch] { return watch.stop.load(); };
            *result = mendAll(*job, asked);
        },
        [this, result] { tell(std::move(*result)); });
}

void MendDialog::tell(Mended m) {
    found_ = std::move(m);
    auto* rows = answerRows_->begin();
    const auto stopped = found_->stopped ? QString(" (stopped)") : QString();
    if (found_->before == 0)
        heading_->setText(tr("There is nothing to mend"));
    else if (found_->lines.empty())
        heading_->setText(tr("Nothing can be mended without upsetting as much") + stopped);
    else
        heading_->setText(
            tr("%1 to mend now, %2 then%3").arg(found_->before).arg(found_->after).arg(stopped));
    for (std::size_t i = 0; i < found_->lines.size(); ++i) {
        auto* step =
            new QLabel(QString("%1.  %2").arg(i + 1).arg(QString::fromStdString(found_->lines[i])));
        step->setWordWrap(true);
        step->setStyleSheet("font-weight: 600;");
        auto* why = new QLabel(QString::fromStdString(found_->why[i]));
        why->setWordWrap(true);
        why->setProperty("quiet", true);
        why->setIndent(22);
        rows->addWidget(step);
        rows->addWidget(why);
        for (const auto& upset : found_->but[i]) {
            auto* but = new QLabel(tr("But then ") + QString::fromStdString(upset));
            but->setWordWrap(true);
            but->setProperty("quiet", true);
            but->setIndent(22);
            rows->addWidget(but);
        }
    }
    answerRows_->end();
    take_->setEnabled(!found_->lines.empty());
    take_->setText(found_->lines.size() > 1 ? tr("Take these %1 steps").arg(found_->lines.size())
                                            : tr("Take this step"));
}

} // namespace mezzet::app
