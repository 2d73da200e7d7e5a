#include "app/dialogs/fit_dialog.h"
#include "app/look/tr.h"
#include "app/look/widgets.h"
#include "measure/example.h"

#include "app/dialogs/carry_view.h"
#include "app/look/style.h"
#include "app/panels/answer_column.h"
#include "app/session/long_work.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include <span>

namespace mezzet::app {

FitDialog::FitDialog(JobSession& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName("fitDialog");
    setWindowTitle(tr("What fits here?"));
    openAt(*this, {560, 520});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(20, 16, 20, 16);
    whole->setSpacing(10);
    auto* say =
        new QLabel(tr("Ask for the largest thing that keeps every rule, for where a piece can "
                      "stand, whether one seen in a shop fits, or what suits a wall."));
    say->setWordWrap(true);
    say->setProperty("quiet", true);
    whole->addWidget(say);
    auto* row = new QHBoxLayout;
    question_ = new QLineEdit;
    const Units units = session.project()->notation.units;
    question_->setPlaceholderText(fromCore(exampleIn("does sofa 84 x 36 x 34 fit", units)));
    question_->setAccessibleName(tr("The question"));
    auto* go = new QPushButton(tr("Ask"));
    go->setDefault(true);
    row->addWidget(question_, 1);
    row->addWidget(go);
    whole->addLayout(row);
    const auto& job = *session.project();
    const auto wall = job.room->walls.empty() ? std::string("A") : job.room->walls.front().name;
    const std::pair<QString, QString> asks[] = {
        {tr("Table"), "table"},
        {tr("Sofa on a wall"), QString("sofa on wall ") + QString::fromStdString(wall)},
        {tr("Rug for the seats"), QString("rug for seats")},
        {tr("Where can it stand"), fromCore(exampleIn("where sideboard 60 x 18", units))},
        {tr("Does it fit"), fromCore(exampleIn("does sofa 84 x 36 x 34 fit", units))}};
    const auto rowOf = [&](std::span<const std::pair<QString, QString>> all) {
        auto* line = new QHBoxLayout;
        line->setSpacing(6);
        for (const auto& [title, text] : all) {
            auto* b = new QPushButton(title);
            b->setProperty("plain", true);
            b->setAutoDefault(false);
            b->setToolTip(text);
            connect(b, &QPushButton::clicked, this, [this, t = text] { ask(t); });
            line->addWidget(b);
        }
        line->addStretch(1);
        whole->addLayout(line);
    };
    rowOf(asks);
    // Of walls: over what stands there, and what a mirror is to show.
    const auto first = [&](mezzet::Role role, const char* otherwise) {
        for (const Piece& p : job.scheme().pieces)
            if (p.kind->role == role)
                return QString::fromStdString(p.name);
        return QString(otherwise);
    };
    const auto seat = first(mezzet::Role::sofa, "door 1");
    const auto under = first(mezzet::Role::storage, "sofa");
    const auto lamp = first(mezzet::Role::lamp, "window 1");
    const std::pair<QString, QString> ofWalls[] = {
        {tr("Picture over it"), QString("picture over ") + under},
        {tr("Mirror that shows it"), QString("mirror on wall %1 showing %2 from %3")
                                         .arg(QString::fromStdString(wall), lamp, seat)},
        {tr("Ledge behind it"), QString("ledge behind ") + seat}};
    rowOf(ofWalls);
    work_ = new LongWork;
    whole->addWidget(work_);
    heading_ = new QLabel;
    heading_->setProperty("heading", true);
    heading_->setWordWrap(true);
    whole->addWidget(heading_);
    answerRows_ = new AnswerColumn(8);
    whole->addWidget(answerRows_, 1);
    auto* close = new QPushButton(tr("Close"));
    close->setAutoDefault(false);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    foot->addWidget(close);
    whole->addLayout(foot);
    connect(go, &QPushButton::clicked, this, &FitDialog::start);
    connect(question_, &QLineEdit::returnPressed, this, &FitDialog::start);
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    question_->setFocus();
}

FitDialog::~FitDialog() = default;

bool FitDialog::answering() const {
    return work_->running();
}

void FitDialog::ask(const QString& question) {
    question_->setText(question);
    start();
}

void FitDialog::start() {
    const auto text = question_->text().trimmed();
    if (text.isEmpty())
        return;
    auto result = std::make_shared<std::optional<Result<FitAnswer>>>();
    const int selected = session_.selected().size() == 1 ? session_.selected().front() : 0;
    heading_->setText(tr("Looking …"));
    work_->start(
        tr("Trying sizes and places"),
        [result, job = session_.settledProject(), text = text.toStdString(),
         selected](Watch& watch) {
            *result = askWhatFits(text, *job, selected, [&watch] { return !watch.stop; });
        },
        [this, result] { tell(**result); });
}

void FitDialog::tell(const Result<FitAnswer>& r) {
    auto* rows = answerRows_->begin();
    answer_.reset();
    if (!r) {
        heading_->setText(tr("That can't be asked"));
        auto* why = new QLabel(QString::fromStdString(r.problem().sentence()));
        why->setWordWrap(true);
        why->setProperty("trouble", true);
        rows->addWidget(why);
        if (r.problem().column > 0)
            question_->setSelection(r.problem().column - 1, std::max(1, r.problem().width));
    } else {
        answer_ = *r;
        heading_->setText(QString::fromStdString(answer_->heading) +
                          (answer_->stopped ? " (stopped)" : ""));
        for (const FitChoice& c : answer_->choices) {
            auto* line = new QFrame;
            line->setObjectName("choice");
            line->setStyleSheet(QString("#choice { background: %1; border: 1px solid %2; "
                                        "border-radius: 6px; }")
                                    .arg(look().field.name(), look().panelEdge.name()));
            auto* in = new QHBoxLayout(line);
            in->setContentsMargins(12, 8, 8, 8);
            auto* words = new QVBoxLayout;
            words->setSpacing(0);
            auto* title = new QLabel(QString::fromStdString(c.title));
            title->setStyleSheet("font-weight: 600;");
            auto* detail = new QLabel(QString::fromStdString(c.detail));
            detail->setProperty("quiet", true);
            detail->setWordWrap(true);
            words->addWidget(title);
            words->addWidget(detail);
            in->addLayout(words, 1);
            auto* take = new QPushButton(tr("Try it"));
            take->setObjectName("tryIt");
            take->setAutoDefault(false);
            take->setAccessibleName(tr("Try it: %1").arg(title->text()));
            connect(take, &QPushButton::clicked, this, [this, edit = c.edit] {
                if (session_.apply(edit))
                    accept();
            });
            in->addWidget(take, 0, Qt::AlignVCenter);
            rows->addWidget(line);
        }
        for (const auto& why : answer_->reasons) {
            auto* label = new QLabel(QString::fromStdString(why));
            label->setWordWrap(true);
            rows->addWidget(label);
        }
        if (!answer_->carry.empty())
            rows->addWidget(new CarryView(*answer_));
        emit regionsFound(answer_->regions);
        if (!answer_->regions.empty()) {
            auto* marked =
                new QLabel(tr("The part is marked on the board until something changes."));
            marked->setProperty("quiet", true);
            rows->addWidget(marked);
        }
    }
    answerRows_->end();
}

} // namespace mezzet::app
