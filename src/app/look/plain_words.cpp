#include "app/look/plain_words.h"

#include <QAbstractItemView>
#include <QApplication>
#include <QHelpEvent>
#include <QLabel>
#include <QToolTip>

namespace mezzet::app {

void PlainWords::watchOver() {
    static bool watching = false;
    if (watching || qApp == nullptr)
        return;
    watching = true;
    qApp->installEventFilter(new PlainWords(qApp));
    QObject::connect(qApp, &QObject::destroyed, [] { watching = false; });
}

bool PlainWords::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Polish) {
        if (auto* label = qobject_cast<QLabel*>(watched);
            label != nullptr && label->textFormat() == Qt::AutoText)
            label->setTextFormat(Qt::PlainText);
        return false;
    }
    if (event->type() != QEvent::ToolTip)
        return false;
    auto* widget = qobject_cast<QWidget*>(watched);
    if (widget == nullptr)
        return false;
    const auto* help = static_cast<QHelpEvent*>(event);
    QString words = widget->toolTip();
    if (auto* view = qobject_cast<QAbstractItemView*>(widget->parentWidget());
        view != nullptr && view->viewport() == widget)
        words = view->indexAt(help->pos()).data(Qt::ToolTipRole).toString();
    if (!Qt::mightBeRichText(words))
        return false;
    QToolTip::showText(help->globalPos(), "<qt>" + words.toHtmlEscaped() + "</qt>", widget);
    return true;
}

} // namespace mezzet::app
