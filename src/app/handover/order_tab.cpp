#include "app/handover/order_tab.h"
#include "app/look/tr.h"

#include "files/whole_file.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/handover_draw.h"
#include "work/calendar_file.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

enum OrderColumn {
    taskName,
    taskBy,
    taskBegins,
    taskEnds,
    taskHours,
    taskDays,
    taskWaits,
    taskSlips,
    taskAfter,
    orderColumns
};

} // namespace

OrderPicture::OrderPicture() : PaperWidget("orderPicture", tr("The order of work as bars")) {
    setMinimumHeight(180);
}

void OrderPicture::show(std::optional<JobSchedule> s, const WorkCalendar& c) {
    schedule_ = std::move(s);
    calendar_ = c;
    update();
}

void OrderPicture::drawPaper(QPainter& p, double unitsPerMm, const QRectF& mm) {
    if (schedule_)
        sheets::drawOrderOfWork(p, unitsPerMm, mm.adjusted(2, 0, -2, -2), *schedule_, calendar_);
}

OrderTab::OrderTab(JobSession& session) : HandoverTab(session) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(8);
    picture_ = new OrderPicture;
    whole->addWidget(picture_, 3);
    table_ = newTable("orderTable", tr("The tasks"),
                      {tr("Task"), tr("By"), tr("Begins"), tr("Ends"), tr("Hours"), tr("Days"),
                       tr("Waits after"), tr("May slip"), tr("After")});
    whole->addWidget(table_, 2);
    auto* foot = new QHBoxLayout;
    auto* label = new QLabel(tr("Work begins on"));
    from_ = new QLineEdit;
    from_->setObjectName("orderFrom");
    from_->setAccessibleName(tr("Work begins on"));
    from_->setPlaceholderText(tr("next Monday"));
    from_->setFixedWidth(120);
    label->setBuddy(from_);
    foot->addWidget(label);
    foot->addWidget(from_);
    auto* more = new QLabel(tr("Holidays, who is away and new tasks are said on the line: holiday "
                               "2027-04-05"));
    more->setProperty("quiet", true);
    foot->addWidget(more, 1);
    addPlainButton(foot, tr("Read changes …"), "orderRead", [this] {
        const auto path =
            QFileDialog::getOpenFileName(this, tr("Read changes from"), {},
                                         tr("Calendars and tables (*.ics *.csv);;All files (*)"));
        if (!path.isEmpty())
            readFrom(path);
    });
    addPlainButton(foot, tr("Write a calendar …"), "orderWrite", [this] {
        const auto path = QFileDialog::getSaveFileName(this, tr("Write the order of work to"),
                                                       "order-of-work.ics",
                                                       tr("Calendars (*.ics);;Tables (*.csv)"));
        if (!path.isEmpty())
            writeTo(path);
    });
    addPlainButton(foot, tr("Print it …"), "orderPrint", [this] { emit printWanted(); });
    whole->addLayout(foot);
    connect(table_, &QTableWidget::cellChanged, this, &OrderTab::typed);
    connect(from_, &QLineEdit::editingFinished, this, &OrderTab::takeFrom);
    freshen();
    table_->resizeColumnsToContents();
    table_->setColumnWidth(taskName, std::max(table_->columnWidth(taskName), 170));
}

void OrderTab::refresh() {
    filling_ = true;
    const Project& job = *session_.project();
    auto made = jobSchedule(job, {}, today());
    schedule_.reset();
    if (made)
        schedule_ = std::move(*made);
    else
        emit told(fromCore(made.problem().sentence()), true);
    picture_->show(schedule_, handedOver(job).calendar);
    const int chosen = table_->currentRow();
    table_->setRowCount(0);
    if (schedule_)
        for (const std::size_t i : inOrderOfDays(*schedule_)) {
            const JobTask& t = schedule_->tasks[i];
            const TimedTask& at = schedule_->times[i];
            const std::array<std::string, orderColumns> cells{
                t.task.name,
                t.task.trade,
                isoDay(at.start),
                isoDay(at.end),
                fmt::format("{:g}", t.task.hours),
                std::to_string(t.task.days),
                std::to_string(t.task.waitDays),
                at.critical ? inOwnWords("no") : worded("{} days", at.slackDays),
                t.afterNames.empty() ? "" : listed(t.afterNames)};
            const int row = table_->rowCount();
            table_->insertRow(row);
            std::string tip;
            if (!t.atHand.empty())
                tip = inOwnWords("At hand: ") + listed(t.atHand) + ".";
            for (const std::string& c : t.cautions)
                tip += (tip.empty() ? "" : "\n") + c;
            for (int c = 0; c < orderColumns; ++c) {
                auto* cell = new QTableWidgetItem(fromCore(cells.at(static_cast<std::size_t>(c))));
                cell->setData(Qt::UserRole, static_cast<int>(i));
                cell->setToolTip(fromCore(tip).toHtmlEscaped());
                if (c == taskName || c == taskEnds || c == taskSlips || c == taskAfter)
                    cell->setFlags(cell->flags() & ~Qt::ItemIsEditable);
                if (at.critical) {
                    auto font = cell->font();
                    font.setBold(true);
                    cell->setFont(font);
                }
                table_->setItem(row, c, cell);
            }
        }
    if (chosen >= 0 && chosen < table_->rowCount())
        table_->setCurrentCell(chosen, taskName);
    const auto& from = handedOver(job).from;
    if (!from_->hasFocus())
        from_->setText(from ? fromCore(isoDay(*from)) : QString());
    filling_ = false;
}

bool OrderTab::put(const Handover& h, const QString& words) {
    const auto was = schedule_;
    if (!session_.apply({words.toStdString(), {SetHandover{h}}, {}})) {
        refresh();
        return false;
    }
    // What a slip moves.
    QStringList moved;
    if (was && schedule_)
        for (const MovedTask& m : movedBetween(*was, *schedule_))
            moved << fromCore(m.name + " to " + shortDayWords(m.is));
    emit told(moved.isEmpty() ? words + tr(": nothing else moves")
                              : words + tr("; it moves ") + moved.join(", "),
              false);
    return true;
}

void OrderTab::typed(int row, int column) {
    if (filling_ || !schedule_)
        return;
    const auto* cell = table_->item(row, column);
    const JobTask t =
        schedule_->tasks.at(static_cast<std::size_t>(cell->data(Qt::UserRole).toInt()));
    const std::string text = cell->text().trimmed().toStdString();
    Handover h = handedOver(*session_.project());
    if (h.task(t.task.name) == nullptr) {
        TaskTold fresh;
        fresh.name = t.task.name;
        h.tasks.push_back(std::move(fresh));
    }
    TaskTold& told_ = *h.task(t.task.name);
    const auto wrong = [&](const QString& what) {
        emit told(what, true);
        refresh();
    };
    if (column == taskBy) {
        told_.trade = tidyName(text);
    } else if (column == taskBegins) {
        const auto d = readDay(text);
        if (!d)
            return wrong(fromCore(d.problem().sentence()));
        told_.notBefore = *d;
    } else {
        const auto n = readMoney(text);
        const bool whole = column != taskHours;
        if (!n || (whole && *n != std::floor(*n)) || *n > 24.0 * mostTaskDays ||
            (whole && *n > mostTaskDays) || (column == taskDays && *n < 1))
            return wrong(tr("That is no number of them"));
        if (column == taskHours) {
            told_.hours = n;
            told_.days.reset();
        } else if (column == taskDays) {
            told_.days = static_cast<int>(*n);
        } else {
            told_.waitDays = static_cast<int>(*n);
        }
    }
    put(h, fromCore(t.task.name));
}

void OrderTab::takeFrom() {
    Handover h = handedOver(*session_.project());
    const auto text = from_->text().trimmed().toStdString();
    std::optional<Day> now;
    if (!text.empty()) {
        const auto d = readDay(text);
        if (!d)
            return emit told(fromCore(d.problem().sentence()), true);
        now = *d;
    }
    if (h.from != now) {
        h.from = now;
        put(h, tr("Another first day"));
    }
}

bool OrderTab::readFrom(const QString& path) {
    if (!schedule_)
        return false;
    const auto text = readTextFile(path.toStdString(), mostCalendarBytes);
    const bool calendar = path.endsWith(".ics", Qt::CaseInsensitive);
    const auto change =
        !text      ? Result<TasksChange>(text.problem())
        : calendar ? withCalendar(*session_.project(), *schedule_, *text, path.toStdString())
                   : withTasksCsv(*session_.project(), *schedule_, *text, path.toStdString());
    if (!change) {
        emit told(fromCore(change.problem().text()), true);
        return false;
    }
    return put(change->handover,
               change->told.empty() ? tr("Nothing differs there") : fromCore(listed(change->told)));
}

bool OrderTab::writeTo(const QString& path) {
    if (!schedule_)
        return false;
    const auto text = path.endsWith(".csv", Qt::CaseInsensitive)
                          ? tasksAsCsv(*schedule_)
                          : tasksAsCalendar(*schedule_, session_.project()->title);
    if (const auto written = writeWhole(path.toStdString(), text); !written) {
        emit told(fromCore(written.problem().text()), true);
        return false;
    }
    emit told("The order of work is in " + path, false);
    return true;
}

} // namespace mezzet::app
