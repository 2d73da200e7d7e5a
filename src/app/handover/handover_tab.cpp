#include "app/handover/handover_tab.h"

namespace mezzet::app {

HandoverTab::HandoverTab(JobSession& session) : session_(session) {
    connect(&session, &JobSession::jobChanged, this, [this] {
        stale_ = true;
        if (isVisibleTo(window()))
            freshen();
    });
}

void HandoverTab::freshen() {
    if (!stale_)
        return;
    stale_ = false;
    refresh();
}

void HandoverTab::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    freshen();
}

} // namespace mezzet::app
