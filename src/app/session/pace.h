#pragma once

#include <QTimer>

#include <functional>

namespace mezzet::app {

/// Does something at most so often: at once when it was not done lately, else when its time comes.
/// What is wanted last is never lost.
class Pace {
public:
    Pace(int milliseconds, std::function<void()> act) : act_(std::move(act)) {
        timer_.setSingleShot(true);
        timer_.setInterval(milliseconds);
        QObject::connect(&timer_, &QTimer::timeout, [this] {
            if (!std::exchange(again_, false))
                return;
            timer_.start();
            act_();
        });
    }
    void want() {
        if (timer_.isActive()) {
            again_ = true;
            return;
        }
        timer_.start();
        act_();
    }
    /// What was wanted is no longer.
    void drop() { again_ = false; }

private:
    std::function<void()> act_;
    QTimer timer_;
    bool again_ = false;
};

} // namespace mezzet::app
