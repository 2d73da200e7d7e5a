#pragma once

#include "trace/drawn_sheet.h"

#include <QTimer>
#include <QWidget>

#include <atomic>
#include <functional>
#include <thread>

class QLabel;
class QProgressBar;
class QPushButton;

namespace mezzet::app {

/// Long work off the window's thread, with how far it is and a stop.
class LongWork : public QWidget {
    Q_OBJECT
public:
    explicit LongWork(QWidget* parent = nullptr);
    ~LongWork() override;

    /// Runs `work` elsewhere and then `done` here. What runs already is stopped first.
    void start(const QString& words, std::function<void(Watch&)> work, std::function<void()> done);
    void stop();
    [[nodiscard]] bool running() const { return thread_.joinable(); }

private:
    void look();

    std::thread thread_;
    Watch watch_;
    std::atomic<bool> finished_{false};
    std::function<void()> done_;
    QTimer timer_;
    QLabel* words_;
    QProgressBar* bar_;
};

} // namespace mezzet::app
