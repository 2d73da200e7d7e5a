#include "app/session/runner.h"
#include "app/look/tr.h"

#include <algorithm>

namespace mezzet::app {

namespace {

constexpr int longestWait = 200; // ms
std::atomic<int> leftBehind{0};

} // namespace

QString wordsOf(const std::exception_ptr& thrown) {
    try {
        if (thrown)
            std::rethrow_exception(thrown);
    } catch (const std::exception& e) {
        return QString::fromUtf8(e.what());
    } catch (...) {
        // nothing known of it
    }
    return tr("it failed, and does not say why");
}

Runner::Runner(QObject* parent, int threads) : QObject(parent), pool_(new QThreadPool) {
    pool_->setMaxThreadCount(threads);
}

Runner::~Runner() {
    for (Open& o : open_) {
        o.progress->stop = true;
        o.dropped = true;
    }
    pool_->clear();
    if (pool_->waitForDone(longestWait))
        delete pool_;
    else
        ++leftBehind;
}

bool Runner::someGoesOn() {
    return leftBehind > 0;
}

void Runner::drop(ProgressPtr& progress) {
    if (!progress)
        return;
    progress->stop = true;
    for (Open& o : open_)
        o.dropped = o.dropped || o.progress == progress;
    progress.reset();
}

bool Runner::runs(const ProgressPtr& p) const {
    return std::any_of(open_.begin(), open_.end(),
                       [&](const Open& o) { return o.progress == p && !o.dropped; });
}

void Runner::keep(const ProgressPtr& p) {
    open_.push_back({p, false});
}

void Runner::forget(const ProgressPtr& p) {
    std::erase_if(open_, [&](const Open& o) { return o.progress == p; });
}

bool Runner::wasDropped(const ProgressPtr& p) const {
    return std::any_of(open_.begin(), open_.end(),
                       [&](const Open& o) { return o.progress == p && o.dropped; });
}

} // namespace mezzet::app
