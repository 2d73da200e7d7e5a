#include "app/handover/order_tab.h"

#include "app/look/style.h"
#include "files/whole_file.h"
#include "measure/text.h"
#include "sheets/handover_draw.h"
#include "work/calendar_file.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
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

QString orderText(const std::string& s) {
    return QString::fromStdString(s);
}

} // namespace

OrderPicture::OrderPicture(QWidget* parent) : QWidget(parent) {
    setObjectName("orderPicture");
    setAccessibleName("The order of work as bars");
    setMinimumHeight(180);
}

void OrderPicture::show(std::optional<JobSchedule> s, const WorkCalendar& c) {
    schedule_ = std::move(s);
    calendar_ = c;
    update();
}

void OrderPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), Qt::white);
    if (!schedule_)
        return;
    constexpr double pixelsAMm = 4;
    sheets::drawOrderOfWork(p, pixelsAMm,
                            QRectF(2, 0, width() / pixelsAMm - 4, height() / pixelsAMm - 2),
                            *schedule_, calendar_);
}

OrderTab::OrderTab(JobSession& session, QWidget* parent) : QWidget(parent), session_(session) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(8);
    picture_ = new OrderPicture;
    whole->addWidget(picture_, 3);
    table_ = new QTableWidget(0, orderColumns);
    table_->setObjectName("orderTable");
    table_->setAccessibleName("The tasks");
    table_->setHorizontalHeaderLabels(
        {"Task", "By", "Begins", "Ends", "Hours", "Days", "Waits after", "May slip", "After"});
    table_->verticalHeader()->hide();
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setAlternatingRowColors(true);
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->setWordWrap(false);
    whole->addWidget(table_, 2);
    auto* foot = new QHBoxLayout;
    auto* label = new QLabel("Work begins on");
    from_ = new QLineEdit;
    from_->setObjectName("orderFrom");
    from_->setAccessibleName("Work begins on");
    from_->setPlaceholderText("next Monday");
    from_->setFixedWidth(120);
    label->setBuddy(from_);
    foot->addWidget(label);
    foot->addWidget(from_);
    auto* more = new QLabel("Holidays, who is away and new tasks are said on the line: holiday "
                            "2027-04-05");
    more->setProperty("quiet", true);
    foot->addWidget(more, 1);
    const auto plain = [&](const char* words, const char* name, auto does) {
        auto* b = new QPushButton(words);
        b->setObjectName(name);
        b->setAutoDefault(false);
        b->setProperty("plain", true);
        connect(b, &QPushButton::clicked, this, does);
        foot->addWidget(b);
    };
    plain("Read changes …", "orderRead", [this] {
        const auto path = QFileDialog::getOpenFileName(
            this, "Read changes from", {}, "Calendars and tables (*.ics *.csv);;All files (*)");
        if (!path.isEmpty())
            readFrom(path);
    });
    plain("Write a calendar …", "orderWrite", [this] {
        const auto path =
            QFileDialog::getSaveFileName(this, "Write the order of work to", "order-of-work.ics",
                                         "Calendars (*.ics);;Tables (*.csv)");
        if (!path.isEmpty())
            writeTo(path);
    });
    plain("Print it …", "orderPrint", [this] { emit printWanted(); });
    whole->addLayout(foot);
    connect(table_, &QTableWidget::cellChanged, this, &OrderTab::typed);
    connect(from_, &QLineEdit::editingFinished, this, &OrderTab::takeFrom);
    connect(&session, &JobSession::jobChanged, this, &OrderTab::fill);
    fill();
    table_->resizeColumnsToContents();
    table_->setColumnWidth(taskName, std::max(table_->columnWidth(taskName), 170));
}

void OrderTab::fill() {
    filling_ = true;
    const Project& job = *session_.project();
    auto made = jobSchedule(job, {}, today());
    schedule_.reset();
    if (made)
        schedule_ = std::move(*made);
    else
        emit told(orderText(made.problem().sentence()), true);
    picture_->show(schedule_, job.handover ? job.handover->calendar : WorkCalendar{});
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
                at.critical ? "no" : fmt::format("{} days", at.slackDays),
                t.afterNames.empty() ? "" : listed(t.afterNames)};
            const int row = table_->rowCount();
            table_->insertRow(row);
            std::string tip;
            if (!t.atHand.empty())
                tip = "At hand: " + listed(t.atHand) + ".";
            for (const std::string& c : t.cautions)
                tip += (tip.empty() ? "" : "\n") + c;
            for (int c = 0; c < orderColumns; ++c) {
                auto* cell = new QTableWidgetItem(orderText(cells.at(static_cast<std::size_t>(c))));
                cell->setData(Qt::UserRole, static_cast<int>(i));
                cell->setToolTip(orderText(tip).toHtmlEscaped());
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
    if (!from_->hasFocus())
        from_->setText(job.handover && job.handover->from ? orderText(isoDay(*job.handover->from))
                                                          : QString());
    filling_ = false;
}

bool OrderTab::put(const Handover& h, const QString& words) {
    const auto was = schedule_;
    if (!session_.apply({words.toStdString(), {SetHandover{h}}, {}})) {
        fill();
        return false;
    }
    // What a slip moves.
    QStringList moved;
    if (was && schedule_)
        for (std::size_t i = 0; i < schedule_->tasks.size(); ++i)
            for (std::size_t k = 0; k < was->tasks.size(); ++k)
                if (was->tasks[k].task.name == schedule_->tasks[i].task.name &&
                    was->times[k].start != schedule_->times[i].start)
                    moved << orderText(schedule_->tasks[i].task.name + " to " +
                                       shortDayWords(schedule_->times[i].start));
    emit told(moved.isEmpty() ? words + ": nothing else moves"
                              : words + "; it moves " + moved.join(", "),
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
    Handover h = session_.project()->handover ? *session_.project()->handover : Handover{};
    if (h.task(t.task.name) == nullptr) {
        TaskTold fresh;
        fresh.name = t.task.name;
        h.tasks.push_back(std::move(fresh));
    }
    TaskTold& told_ = *h.task(t.task.name);
    const auto wrong = [&](const QString& what) {
        emit told(what, true);
        fill();
    };
    if (column == taskBy) {
        told_.trade = tidyName(text);
    } else if (column == taskBegins) {
        const auto d = readDay(text);
        if (!d)
            return wrong(orderText(d.problem().sentence()));
        told_.notBefore = *d;
    } else {
        const auto n = readMoney(text);
        const bool whole = column != taskHours;
        if (!n || (whole && *n != std::floor(*n)) || *n > 24.0 * mostTaskDays ||
            (whole && *n > mostTaskDays) || (column == taskDays && *n < 1))
            return wrong("That is no number of them");
        if (column == taskHours) {
            told_.hours = n;
            told_.days.reset();
        } else if (column == taskDays) {
            told_.days = static_cast<int>(*n);
        } else {
            told_.waitDays = static_cast<int>(*n);
        }
    }
    put(h, orderText(t.task.name));
}

void OrderTab::takeFrom() {
    Handover h = session_.project()->handover ? *session_.project()->handover : Handover{};
    const auto text = from_->text().trimmed().toStdString();
    std::optional<Day> now;
    if (!text.empty()) {
        const auto d = readDay(text);
        if (!d)
            return emit told(orderText(d.problem().sentence()), true);
        now = *d;
    }
    if (h.from != now) {
        h.from = now;
        put(h, "Another first day");
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
        emit told(orderText(change.problem().text()), true);
        return false;
    }
    auto h = change->handover;
    if (!h.from)
        h.from = schedule_->from;
    return put(h, change->told.empty() ? QString("Nothing differs there")
                                       : orderText(listed(change->told)));
}

bool OrderTab::writeTo(const QString& path) {
    if (!schedule_)
        return false;
    const auto text = path.endsWith(".csv", Qt::CaseInsensitive)
                          ? tasksAsCsv(*schedule_)
                          : tasksAsCalendar(*schedule_, session_.project()->title);
    if (const auto written = writeWhole(path.toStdString(), text); !written) {
        emit told(orderText(written.problem().text()), true);
        return false;
    }
    emit told("The order of work is in " + path, false);
    return true;
}

} // namespace mezzet::app
