#include "app/handover/built_tab.h"
#include "app/look/tr.h"

#include "app/look/widgets.h"
#include "edit/language.h"
#include "handover/list.h"
#include "measure/text.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace mezzet::app {

BuiltTab::BuiltTab(JobSession& session) : HandoverTab(session) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(8);
    table_ = newTable("builtTable", tr("What was measured"),
                      {tr("Of"), tr("What"), tr("Planned"), tr("Built"), tr("Off"),
                       tr("Measured on"), tr("Does it matter?")});
    table_->setWordWrap(true);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    whole->addWidget(table_, 1);
    auto* said = new QHBoxLayout;
    line_ = new QLineEdit;
    line_->setObjectName("builtLine");
    line_->setAccessibleName(tr("What was measured"));
    line_->setPlaceholderText(
        fromCore(exampleIn("hook of harbour 58 up; sofa 36 from wall A; bottom of pendant 62",
                           session_.project()->notation.units)));
    said->addWidget(line_, 1);
    sure_ = new QPushButton(tr("It is so: keep it"));
    sure_->setObjectName("builtSure");
    sure_->setAutoDefault(false);
    sure_->hide();
    said->addWidget(sure_);
    whole->addLayout(said);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    addPlainButton(foot, tr("Take it as it is"), "builtTake", [this] { takeAsItIs(); });
    addPlainButton(foot, tr("Forget this measure"), "builtForget", [this] {
        const auto all = marks();
        const int row = table_->currentRow();
        if (row < 0 || static_cast<std::size_t>(row) >= all.size())
            return;
        Handover h = *session_.project()->handover;
        std::erase(h.built, all[static_cast<std::size_t>(row)]);
        session_.apply({inOwnWords("forget a measure"), {SetHandover{h}}, {}});
    });
    addPlainButton(foot, tr("Print it …"), "builtPrint", [this] { emit printWanted(); });
    whole->addLayout(foot);
    connect(line_, &QLineEdit::returnPressed, this, [this] { say(); });
    connect(line_, &QLineEdit::textEdited, sure_, &QPushButton::hide);
    connect(sure_, &QPushButton::clicked, this, [this] { say(true); });
}

std::vector<BuiltMark> BuiltTab::marks() const {
    std::vector<BuiltMark> out;
    const Project& job = *session_.project();
    for (const BuiltMark& m : handedOver(job).built)
        if (foldCase(m.room) == foldCase(job.room->name))
            out.push_back(m);
    return out;
}

void BuiltTab::refresh() {
    const Project& job = *session_.project();
    const int chosen = table_->currentRow();
    table_->setRowCount(0);
    for (const BuiltMark& m : marks()) {
        const auto check = checkBuilt(job, *session_.scene(), m);
        const int row = table_->rowCount();
        table_->insertRow(row);
        const Length off = check ? m.built - check->mark.planned : Length{};
        const std::array<std::string, 7> cells{
            m.piece,
            check ? check->what : "",
            check ? write(check->mark.planned, job.notation) : "",
            write(m.built, job.notation),
            !check          ? ""
            : check->agrees ? inOwnWords("as planned")
                            : (off > Length{} ? "+" : "-") + write(abs(off), job.notation),
            dayWords(m.day),
            !check           ? check.problem().sentence()
            : check->agrees  ? ""
            : check->matters ? inOwnWords("Yes: ") + check->why
                             : inOwnWords("No: ") + check->why};
        for (int c = 0; c < 7; ++c)
            table_->setItem(row, c,
                            new QTableWidgetItem(fromCore(cells.at(static_cast<std::size_t>(c)))));
    }
    table_->resizeColumnsToContents();
    if (chosen >= 0 && chosen < table_->rowCount())
        table_->selectRow(chosen);
}

void BuiltTab::say(bool sure) {
    const auto text = line_->text().trimmed().toStdString();
    if (text.empty())
        return;
    const Project& job = *session_.project();
    const auto mark = readBuilt(text, job, *session_.scene(), today());
    if (!mark)
        return emit told(fromCore(mark.problem().sentence()), true);
    const auto check = checkBuilt(job, *session_.scene(), *mark);
    if (!check)
        return emit told(fromCore(check.problem().sentence()), true);
    if (check->askAgain && !sure) {
        sure_->show();
        return emit told(tr("That is %1, and %2 was planned: measure it again")
                             .arg(fromCore(write(mark->built, job.notation)),
                                  fromCore(write(mark->planned, job.notation))),
                         true);
    }
    sure_->hide();
    if (session_.apply({inOwnWords("as built"), {SetHandover{withBuilt(job, {*mark})}}, {}})) {
        line_->clear();
        emit told(check->agrees    ? tr("As planned")
                  : check->matters ? tr("It matters: ") + fromCore(check->why)
                                   : tr("It is kept; no reading changes its verdict"),
                  check->matters && !check->agrees);
    }
}

bool BuiltTab::takeAsItIs() {
    const auto all = marks();
    const int row = table_->currentRow();
    if (row < 0 || static_cast<std::size_t>(row) >= all.size()) {
        emit told("Choose a measure first", true);
        return false;
    }
    const auto edit =
        asItIs(*session_.project(), *session_.scene(), all[static_cast<std::size_t>(row)]);
    if (!edit) {
        emit told(fromCore(edit.problem().sentence()), true);
        return false;
    }
    return session_.apply(*edit, {}, fromCore(edit->words));
}

} // namespace mezzet::app
