#pragma once

#include "app/session/job_session.h"
#include "app/session/pace.h"

#include <QStringList>
#include <QWidget>

class QHBoxLayout;
class QPushButton;

namespace mezzet::app {

/// The schemes of the job along the foot of the window, and how it is drawn and judged.
class SchemeStrip : public QWidget {
    Q_OBJECT
public:
    explicit SchemeStrip(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QPushButton* state() const { return state_; }
    /// The board's scale, told by the window.
    void setZoom(const QString&);

signals:
    void renameWanted();
    void besidesWanted();
    void arrangementWanted(Arrangement);

private:
    void rebuild();
    Pace pace_{150, [this] { rebuild(); }};

    JobSession& session_;
    QHBoxLayout* row_;
    QWidget* schemes_ = nullptr;
    QPushButton* state_;
    QString zoom_;
    QStringList shown_; ///< what the tabs say, to build them anew only when that changes
};

} // namespace mezzet::app
