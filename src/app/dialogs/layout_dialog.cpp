#include "app/dialogs/layout_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "app/look/widgets.h"
#include "edit/line.h"
#include "judge/reading.h"
#include "measure/text.h"
#include "sheets/drawing.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPixmap>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <set>

namespace mezzet::app {

namespace {

constexpr QSize waySize{300, 230};

/// Rules that tell how a layout does.
bool isOfLight(const Rule& r) {
    static const std::set<std::string_view> ids{
        "recessed-count", "recessed-edge",    "recessed-task", "light-zones",
        "joists",         "fixture-headroom", "illuminance",   "clash"};
    return ids.count(r.id) > 0;
}

} // namespace

LayoutDialog::LayoutDialog(JobSession& session, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("layoutDialog");
    setWindowTitle(tr("Light this room"));
    openAt(*this, {1080, 640});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(10);
    auto* top = new QHBoxLayout;
    auto* label = new QLabel(tr("With"));
    kinds_ = new QComboBox;
    kinds_->setObjectName("layoutKinds");
    kinds_->setAccessibleName(tr("Kind of light"));
    for (const auto& k : session.project()->library.kit->kinds())
        if (k->light && k->light->general)
            kinds_->addItem(fromCore(k->name), fromCore(foldCase(k->name)));
    label->setBuddy(kinds_);
    top->addWidget(label);
    top->addWidget(kinds_);
    top->addStretch(1);
    auto* caution =
        new QLabel(tr("Wiring and supports are for a licensed electrician; no joist is cut "
                      "for a light."));
    caution->setProperty("quiet", true);
    top->addWidget(caution);
    whole->addLayout(top);
    list_ = new QListWidget;
    list_->setObjectName("layoutList");
    list_->setAccessibleName(tr("Ways to light it"));
    list_->setViewMode(QListView::IconMode);
    list_->setIconSize(waySize);
    list_->setGridSize({waySize.width() + 24, waySize.height() + 110});
    list_->setResizeMode(QListView::Adjust);
    list_->setMovement(QListView::Static);
    list_->setWordWrap(true);
    whole->addWidget(list_, 1);
    told_ = new QLabel;
    told_->setObjectName("layoutTold");
    told_->setTextFormat(Qt::PlainText);
    told_->setWordWrap(true);
    told_->setMinimumHeight(22);
    whole->addWidget(told_);
    auto* foot = new QHBoxLayout;
    try_ = new QPushButton(tr("Try it on the board"));
    try_->setObjectName("layoutTry");
    try_->setAutoDefault(false);
    try_->setEnabled(false);
    connect(try_, &QPushButton::clicked, this, [this] { tryIt(list_->currentRow()); });
    foot->addWidget(try_);
    foot->addStretch(1);
    addPlainButton(foot, tr("Undo"), "layoutUndo", [this] { session_.undo(); });
    addPlainButton(foot, tr("Close"), "layoutClose", [this] { accept(); });
    whole->addLayout(foot);
    connect(kinds_, &QComboBox::currentIndexChanged, this, &LayoutDialog::find);
    connect(list_, &QListWidget::currentRowChanged, this,
            [this](int row) { try_->setEnabled(row >= 0); });
    connect(list_, &QListWidget::itemActivated, this, [this] { tryIt(list_->currentRow()); });
    find();
}

LayoutDialog::~LayoutDialog() = default;

void LayoutDialog::find() {
    // What was tried is none of what the room has.
    if (tried_ && session_.project() == tried_)
        session_.undo();
    tried_ = nullptr;
    from_ = session_.project();
    ways_.clear();
    list_->clear();
    const int round = ++round_;
    const auto with = " with " + kinds_->currentData().toString();
    int order = 0;
    left_ = 0;
    told_->setText(tr("Looking for ways …"));
    for (const QString& line :
         {QString("light this room evenly") + with,
          QString("light this room evenly another way") + with,
          QString("light this room evenly the third way") + with, QString("light the tasks")}) {
        ++left_;
        runner_.run(
            [job = from_, line, at = order](Progress&) -> Result<Way> {
                const auto said = readLine(line.toStdString(), *job);
                if (!said)
                    return said.problem();
                const auto next = apply(*job, said->edit);
                if (!next)
                    return next.problem();
                Way w;
                w.line = line;
                w.words = fromCore(said->edit.words);
                w.edit = said->edit;
                w.job = next->project;
                w.scene = next->scene;
                w.order = at;
                for (const Reading& r :
                     judge(*next->scene, *next->project->library.book, next->project->judgement))
                    w.toMend += r.toMend() && isOfLight(*r.rule) ? 1 : 0;
                return w;
            },
            [this, round](Result<Way> w) {
                if (round != round_)
                    return;
                --left_;
                if (w)
                    ways_.push_back(std::move(*w));
                showWays();
            },
            [this, round](const QString& fault) {
                if (round != round_)
                    return;
                --left_;
                told_->setText(fault);
            });
        ++order;
    }
}

void LayoutDialog::showWays() {
    std::stable_sort(ways_.begin(), ways_.end(),
                     [](const Way& a, const Way& b) { return a.order < b.order; });
    const int chosen = list_->currentRow();
    list_->clear();
    for (const Way& w : ways_) {
        const QPixmap shown = drawn(w);
        QIcon icon(shown);
        icon.addPixmap(shown, QIcon::Selected);
        new QListWidgetItem(
            icon,
            QString("%1\n%2").arg(w.words, w.toMend == 0 ? tr("nothing to mend of light")
                                                         : tr("%1 to mend of light").arg(w.toMend)),
            list_);
    }
    if (chosen >= 0 && chosen < list_->count())
        list_->setCurrentRow(chosen);
    if (left_ == 0)
        told_->setText(ways_.empty()
                           ? tr("There is no way to light this room by rows or by tasks yet: "
                                "it wants a closed outline")
                           : tr("%1 ways that differ; try one, and another in its "
                                "place")
                                 .arg(ways_.size()));
}

QPixmap LayoutDialog::drawn(const Way& w) const {
    QPixmap out(waySize);
    out.fill(look().board);
    QPainter painter(&out);
    painter.setRenderHint(QPainter::Antialiasing);
    const Box b = w.scene->room->bounds();
    const double scale = std::min((waySize.width() - 40) / std::max(b.size().x, 1.0),
                                  (waySize.height() - 40) / std::max(b.size().y, 1.0));
    const QPointF origin = QPointF(waySize.width() / 2.0, waySize.height() / 2.0) -
                           QPointF(b.centre().x, b.centre().y) * scale;
    const sheets::Drawing d{painter, look(), origin, scale, 0.7, w.job->notation};
    sheets::drawRoom(d, *w.scene->room);
    sheets::drawPieces(d, FloorView(*w.scene), true);
    sheets::drawCeiling(d, CeilingView(*w.scene), 0, false);
    return out;
}

bool LayoutDialog::tryIt(int row) {
    if (row < 0 || static_cast<std::size_t>(row) >= ways_.size())
        return false;
    if (tried_ && session_.project() == tried_)
        session_.undo();
    const Way& w = ways_[static_cast<std::size_t>(row)];
    if (session_.project() != from_) {
        told_->setText(tr("The room is another one by now: look again"));
        find();
        return false;
    }
    const Edit edit = w.edit;
    const QString words = w.words;
    if (!session_.apply(edit, {}, words))
        return false;
    tried_ = session_.project();
    told_->setText(words);
    return true;
}

} // namespace mezzet::app
