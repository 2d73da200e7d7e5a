#pragma once

#include "app/session/job_session.h"

#include <QWidget>

namespace mezzet::app {

/// A page of what is handed over. It follows the job while it is the one shown.
class HandoverTab : public QWidget {
    Q_OBJECT
public:
    explicit HandoverTab(JobSession&);

signals:
    void told(const QString& words, bool trouble);
    void printWanted();

protected:
    /// Shows the job as it is.
    virtual void refresh() = 0;
    /// Refreshes what is out of date.
    void freshen();
    void showEvent(QShowEvent*) override;

    JobSession& session_;

private:
    bool stale_ = true;
};

} // namespace mezzet::app
