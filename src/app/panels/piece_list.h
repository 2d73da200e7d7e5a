#pragma once

#include "app/session/job_session.h"
#include "app/session/pace.h"

#include <QLineEdit>
#include <QListWidget>

class QLabel;

namespace mezzet::app {

/// One box to find a piece of the scheme or add one from the kit, over the list of both.
class PieceList : public QWidget {
    Q_OBJECT
public:
    explicit PieceList(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* box() const { return box_; }
    [[nodiscard]] QListWidget* list() const { return list_; }

signals:
    /// The keyboard has done its work here.
    void finished();

protected:
    bool eventFilter(QObject*, QEvent*) override;

private:
    void jobChanged();
    void refill();
    void mark(QListWidgetItem*) const;
    void markAll();
    void showSelection();
    void takeRow(QListWidgetItem*);
    void enter();

    JobSession& session_;
    QLineEdit* box_;
    QLabel* count_;
    QLabel* heading_;
    QListWidget* list_;
    bool filling_ = false;
    Pace marks_{50, [this] { markAll(); }};
};

} // namespace mezzet::app
