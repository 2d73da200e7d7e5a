#pragma once

#include "app/session/runner.h"

#include <QTimer>
#include <QWidget>

class QLabel;
class QProgressBar;

namespace mezzet::app {

/// Long work beside the window, with how far it is and a stop.
class LongWork : public QWidget {
    Q_OBJECT
public:
    explicit LongWork(QWidget* parent = nullptr);
    ~LongWork() override;

    /// Runs `work` elsewhere and then `done` here; when it throws, `failed` is told and `done` not
    /// called. What runs already is stopped, and its answer never comes. Work holds values only.
    void start(const QString& words, std::function<void(Watch&)> work, std::function<void()> done);
    /// Its answer never comes.
    void stop();
    [[nodiscard]] bool running() const { return runner_.runs(progress_); }

signals:
    void failed(const QString& words);

private:
    void over();

    Runner runner_;
    ProgressPtr progress_;
    QTimer timer_;
    QLabel* words_;
    QProgressBar* bar_;
};

} // namespace mezzet::app
