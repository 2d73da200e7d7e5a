#pragma once

#include "app/session/job_session.h"
#include "handover/tasks.h"

#include <QWidget>

class QLineEdit;
class QTableWidget;

namespace mezzet::app {

/// The order of work as bars over days.
class OrderPicture : public QWidget {
    Q_OBJECT
public:
    explicit OrderPicture(QWidget* parent = nullptr);
    void show(std::optional<JobSchedule>, const WorkCalendar&);
    QSize sizeHint() const override { return {900, 300}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::optional<JobSchedule> schedule_;
    WorkCalendar calendar_;
};

/// The tasks, with their days: a cell is typed over, and what moves is told.
class OrderTab : public QWidget {
    Q_OBJECT
public:
    explicit OrderTab(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QTableWidget* table() const { return table_; }
    [[nodiscard]] QLineEdit* from() const { return from_; }
    [[nodiscard]] const std::optional<JobSchedule>& schedule() const { return schedule_; }
    /// Takes changes from iCalendar or CSV, by the file's ending.
    bool readFrom(const QString& path);
    bool writeTo(const QString& path);

signals:
    void told(const QString& words, bool trouble);
    void printWanted();

private:
    void fill();
    void typed(int row, int column);
    void takeFrom();
    bool put(const Handover&, const QString& words);

    JobSession& session_;
    OrderPicture* picture_;
    QTableWidget* table_;
    QLineEdit* from_;
    std::optional<JobSchedule> schedule_;
    bool filling_ = false;
};

} // namespace mezzet::app
