#pragma once

#include "app/session/job_session.h"

#include "app/session/runner.h"

#include <QFrame>
#include <QLineEdit>
#include <QTimer>

class QLabel;
class QListWidget;

namespace mezzet::app {

/// The line: type what you would say. It completes, tells beforehand what Enter does, and
/// remembers.
class LineBar : public QFrame {
    Q_OBJECT
public:
    explicit LineBar(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* edit() const { return edit_; }
    [[nodiscard]] QString preview() const;
    [[nodiscard]] QListWidget* choices() const { return popup_; }
    /// Says something for a while where the preview stands.
    void tell(const QString& words, bool trouble);

signals:
    /// "mend all" was said.
    void mendWanted();
    void finished();

protected:
    bool eventFilter(QObject*, QEvent*) override;
    void paintEvent(QPaintEvent*) override;

private:
    void refresh();
    void offer();
    /// Looks beside the window for what could be said instead of a line that is refused.
    void lookForWays();
    void showWays(const std::vector<std::string>&);
    void showOpenings();
    void answer(const QString& words);
    void place();
    void take(int row);
    void enter();
    void recall(int step);

    JobSession& session_;
    QLineEdit* edit_;
    QLabel* preview_;
    QListWidget* popup_;
    QStringList history_;
    qsizetype recalled_ = 0;
    QString draft_;
    QTimer quiet_;
    QTimer told_;
    QTimer idle_;           ///< until it is shown what can be said, while nothing is typed
    QTimer pause_;          ///< in typing: then ways on are looked for
    bool answered_ = false; ///< an answer stands there, and stays until something is typed
    bool ways_ = false;     ///< the list holds whole lines to say instead
    Runner looking_;
    ProgressPtr search_;
};

} // namespace mezzet::app
