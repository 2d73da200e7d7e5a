#pragma once

#include "trace/drawn_sheet.h"

#include <QEventLoop>
#include <QFutureWatcher>
#include <QObject>
#include <QThreadPool>
#include <QUnhandledException>
#include <QtConcurrent>

#include <chrono>
#include <functional>
#include <memory>
#include <optional>
#include <vector>

namespace mezzet::app {

/// How far work beside the window is, and whether it is to stop; the one kind there is. The work
/// asks `stop` at least every 20 ms.
using Progress = Watch;
using ProgressPtr = std::shared_ptr<Progress>;

/// What asks whether work is to stop, for those that take a function.
[[nodiscard]] inline std::function<bool()> stops(ProgressPtr p) {
    return [p = std::move(p)] { return p->stop.load(); };
}

/// What an exception says.
[[nodiscard]] QString wordsOf(const std::exception_ptr&);

/// Runs work beside the window, in the order it is asked for, and brings what it came to back to
/// the window's thread. Work holds values only, so that what is not stopped in time harms nobody.
class Runner : public QObject {
public:
    explicit Runner(QObject* parent = nullptr, int threads = 1);
    /// Stops all and waits 200 ms at most.
    ~Runner() override;

    using Failed = std::function<void(const QString& words)>;

    /// Runs `work(Progress&)` and then `done(what it came to)`, here, unless it was dropped. When
    /// it throws, `failed` is told instead.
    template <class Work, class Done> ProgressPtr run(Work work, Done done, Failed failed = {}) {
        using Answer = std::invoke_result_t<Work, Progress&>;
        auto progress = std::make_shared<Progress>();
        keep(progress);
        auto* watcher = new QFutureWatcher<Answer>(this);
        connect(watcher, &QFutureWatcherBase::finished, this,
                [this, watcher, progress, done = std::move(done), failed = std::move(failed)] {
                    watcher->deleteLater();
                    const bool dropped = wasDropped(progress);
                    forget(progress);
                    if (dropped)
                        return;
                    std::optional<Answer> answer;
                    QString fault;
                    try {
                        answer = watcher->future().takeResult();
                    } catch (const QUnhandledException& e) {
                        fault = wordsOf(e.exception()); // as it was thrown over there
                    } catch (...) {
                        fault = wordsOf(std::current_exception());
                    }
                    if (answer)
                        done(std::move(*answer));
                    else if (failed)
                        failed(fault);
                });
        watcher->setFuture(QtConcurrent::run(
            pool_, [progress, work = std::move(work)]() mutable { return work(*progress); }));
        return progress;
    }

    /// Runs work and waits for it, while the window is painted but takes nothing in. What it came
    /// to; nothing when it threw.
    template <class Work> std::optional<std::invoke_result_t<Work, Progress&>> waitFor(Work work) {
        using Answer = std::invoke_result_t<Work, Progress&>;
        std::optional<Answer> out;
        QEventLoop loop;
        bool over = false;
        run(
            std::move(work),
            [&](Answer a) {
                out = std::move(a);
                over = true;
                loop.quit();
            },
            [&](const QString&) {
                over = true;
                loop.quit();
            });
        if (!over)
            loop.exec(QEventLoop::ExcludeUserInputEvents);
        return out;
    }

    /// Stops it; its answer comes no more.
    void drop(ProgressPtr&);
    [[nodiscard]] bool busy() const { return !open_.empty(); }
    /// Whether this piece of work is still to come to an end.
    [[nodiscard]] bool runs(const ProgressPtr& p) const;

    /// Whether work of a runner that is gone goes on all the same; then the program is left without
    /// waiting for it.
    [[nodiscard]] static bool someGoesOn();

private:
    struct Open {
        ProgressPtr progress;
        bool dropped = false;
    };
    void keep(const ProgressPtr&);
    void forget(const ProgressPtr&);
    [[nodiscard]] bool wasDropped(const ProgressPtr&) const;

    QThreadPool* pool_; ///< left behind when work in it doesn't stop in time
    std::vector<Open> open_;
};

} // namespace mezzet::app
