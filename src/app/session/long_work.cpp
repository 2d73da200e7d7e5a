#include "app/session/long_work.h"
#include "app/look/tr.h"

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
    auto* stopButton = new QPushButton(tr("Stop"));
    stopButton->setObjectName("stopWork");
    stopButton->setAutoDefault(false);
    row->addWidget(words_);
    row->addWidget(bar_, 1);
    row->addWidget(stopButton);
    connect(stopButton, &QPushButton::clicked, this, [this] {
        if (progress_)
            progress_->stop = true;
    });
    timer_.setInterval(30);
    connect(&timer_, &QTimer::timeout, this, [this] {
        if (const double share = progress_ ? progress_->share.load() : 0; share > 0) {
            bar_->setRange(0, 100);
            bar_->setValue(static_cast<int>(share * 100));
        }
    });
    hide();
}

LongWork::~LongWork() {
    stop();
}

void LongWork::start(const QString& words, std::function<void(Watch&)> work,
                     std::function<void()> done) {
    stop();
    words_->setText(words);
    bar_->setRange(0, 0); // busy, until it is known how far it is
    progress_ = runner_.run(
        [work = std::move(work)](Progress& p) {
            work(p);
            return true;
        },
        [this, done = std::move(done)](bool) {
            over();
            done();
        },
        [this](const QString& fault) {
            over();
            emit failed(fault);
        });
    timer_.start();
    show();
}

void LongWork::over() {
    timer_.stop();
    progress_.reset();
    hide();
}

void LongWork::stop() {
    runner_.drop(progress_);
    timer_.stop();
    hide();
}

} // namespace mezzet::app
