#include "app/look/widgets.h"

#include <QHeaderView>
#include <QPainter>

namespace mezzet::app {

QPushButton* addPlainButton(QBoxLayout* row, const QString& words, const char* name,
                            std::function<void()> does) {
    auto* b = new QPushButton(words);
    b->setObjectName(name);
    b->setAutoDefault(false);
    b->setProperty("plain", true);
    QObject::connect(b, &QPushButton::clicked, b, std::move(does));
    row->addWidget(b);
    return b;
}

QTableWidget* newTable(const char* name, const QString& accessible, const QStringList& headings) {
    auto* t = new QTableWidget(0, static_cast<int>(headings.size()));
    t->setObjectName(name);
    t->setAccessibleName(accessible);
    t->setHorizontalHeaderLabels(headings);
    t->verticalHeader()->hide();
    t->setSelectionBehavior(QAbstractItemView::SelectRows);
    t->setAlternatingRowColors(true);
    t->horizontalHeader()->setStretchLastSection(true);
    t->setWordWrap(false);
    return t;
}

PaperWidget::PaperWidget(const char* name, const QString& accessible) {
    setObjectName(name);
    setAccessibleName(accessible);
}

void PaperWidget::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), Qt::white);
    constexpr double pixelsAMm = 4;
    drawPaper(p, pixelsAMm, QRectF(0, 0, width() / pixelsAMm, height() / pixelsAMm));
}

} // namespace mezzet::app
