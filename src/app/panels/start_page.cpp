#include "app/panels/start_page.h"
#include "app/look/tr.h"

#include "app/look/style.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

constexpr int widest = 460;  // pixels
constexpr int mostShown = 5; // of what was open last

QLabel* said(const QString& text, const char* property) {
    auto* l = new QLabel(text);
    l->setProperty(property, true);
    l->setWordWrap(true);
    return l;
}

} // namespace

StartPage::StartPage(QWidget* parent) : QWidget(parent) {
    setObjectName("start");
    setAccessibleName(tr("Begin"));
    auto* whole = new QVBoxLayout(this);
    auto* middle = new QWidget;
    middle->setFixedWidth(widest);
    auto* across = new QHBoxLayout;
    across->addStretch();
    across->addWidget(middle);
    across->addStretch();
    whole->addStretch(2);
    whole->addLayout(across);
    whole->addStretch(3);
    auto* column = new QVBoxLayout(middle);
    column->setSpacing(6);
    column->addWidget(said(tr("Begin with a room"), "heading"));
    column->addWidget(
        said(tr("Measure it, plan it to scale, and know whether it works."), "quiet"));
    column->addSpacing(10);
    struct Way {
        const char* act;
        QString title;
        QString about;
    };
    const Way ways[] = {
        {"demo", tr("Look round in the demo"),
         tr("An upstairs supper room with three schemes; it is a copy, so try anything.")},
        {"new", tr("Measure a new room"),
         tr("Type what the tape says; the room is drawn as you type.")},
        {"newFromDrawing", tr("Take a room from a drawing"),
         tr("Trace a plan, a photograph of one, or a DXF.")},
        {"open", tr("Open a job …"), ""}};
    for (const Way& w : ways) {
        auto* b = new QPushButton(w.title);
        b->setObjectName(QString("start:") + w.act);
        b->setMinimumHeight(36);
        b->setAccessibleDescription(w.about);
        if (QString(w.act) == "demo")
            b->setProperty("first", true);
        connect(b, &QPushButton::clicked, this,
                [this, act = QString(w.act)] { emit actWanted(act); });
        column->addWidget(b);
        if (!w.about.isEmpty())
            column->addWidget(said(w.about, "quiet"));
        column->addSpacing(4);
    }
    recent_ = new QVBoxLayout;
    recent_->setSpacing(2);
    column->addLayout(recent_);
}

void StartPage::showRecent(const QStringList& paths) {
    while (auto* item = recent_->takeAt(0)) {
        if (item->widget() != nullptr)
            item->widget()->deleteLater();
        delete item;
    }
    int shown = 0;
    for (const QString& path : paths) {
        const QFileInfo file(path);
        if (!file.exists() || shown == mostShown)
            continue;
        if (shown++ == 0)
            recent_->addWidget(said(tr("Open last"), "quiet"));
        auto* b = new QPushButton(plainButton(file.completeBaseName()));
        b->setToolTip(path);
        b->setAccessibleDescription(path);
        b->setProperty("plain", true);
        connect(b, &QPushButton::clicked, this, [this, path] { emit jobWanted(path); });
        recent_->addWidget(b);
    }
}

} // namespace mezzet::app
