#include "app/session/long_work.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

namespace mezzet::app {

LongWork::LongWork(QWidget* parent) : QWidget(parent) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    words_ = new QLabel;
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setFixedHeight(8);
    auto* stopButton = new QPushButton("Stop");
    stopButton->setObjectName("stopWork");
    stopButton->setAutoDefault(false);
    row->addWidget(words_);
    row->addWidget(bar_, 1);
    row->addWidget(stopButton);
    connect(stopButton, &QPushButton::clicked, this, [this] { watch_.stop = true; });
    timer_.setInterval(30);
    connect(&timer_, &QTimer::timeout, this, &LongWork::look);
    hide();
}

LongWork::~LongWork() {
    stop();
}

void LongWork::start(const QString& words, std::function<void(Watch&)> work,
                     std::function<void()> done) {
    stop();
    watch_.stop = false;
    watch_.share = 0;
    finished_ = false;
    done_ = std::move(done);
    words_->setText(words);
    bar_->setRange(0, 0); // busy, until it is known how far it is
    thread_ = std::thread([this, work = std::move(work)] {
        work(watch_);
        finished_ = true;
    });
    timer_.start();
    show();
}

void LongWork::stop() {
    watch_.stop = true;
    timer_.stop();
    if (thread_.joinable())
        thread_.join();
    hide();
}

void LongWork::look() {
    if (const double share = watch_.share; share > 0) {
        bar_->setRange(0, 100);
        bar_->setValue(static_cast<int>(share * 100));
    }
    if (!finished_)
        return;
    timer_.stop();
    thread_.join();
    hide();
    const auto done = std::move(done_);
    done();
}

} // namespace mezzet::app
