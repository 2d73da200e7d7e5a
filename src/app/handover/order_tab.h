#pragma once

#include "app/handover/handover_tab.h"
#include "app/look/widgets.h"
#include "handover/tasks.h"

#include <QWidget>

class QLineEdit;
class QTableWidget;

namespace mezzet::app {

/// The order of work as bars over days.
class OrderPicture : public PaperWidget {
public:
    OrderPicture();
    void show(std::optional<JobSchedule>, const WorkCalendar&);
    QSize sizeHint() const override { return {900, 300}; }

protected:
    void drawPaper(QPainter&, double unitsPerMm, const QRectF& mm) override;

private:
    std::optional<JobSchedule> schedule_;
    WorkCalendar calendar_;
};

/// The tasks, with their days: a cell is typed over, and what moves is told.
class OrderTab : public HandoverTab {
    Q_OBJECT
public:
    explicit OrderTab(JobSession&);

    [[nodiscard]] QTableWidget* table() const { return table_; }
    [[nodiscard]] QLineEdit* from() const { return from_; }
    [[nodiscard]] const std::optional<JobSchedule>& schedule() const { return schedule_; }
    /// Takes changes from iCalendar or CSV, by the file's ending.
    bool readFrom(const QString& path);
    bool writeTo(const QString& path);

private:
    void refresh() override;
    void typed(int row, int column);
    void takeFrom();
    bool put(const Handover&, const QString& words);

    OrderPicture* picture_;
    QTableWidget* table_;
    QLineEdit* from_;
    std::optional<JobSchedule> schedule_;
    bool filling_ = false;
};

} // namespace mezzet::app
