#include "app/dialogs/finder.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "measure/text.h"

#include <QAction>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

constexpr int mostShown = 60;
enum Data { whatRole = Qt::UserRole, moreRole };

class RowPainter : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;
    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override {
        return {100, 30};
    }
    void paint(QPainter* p, const QStyleOptionViewItem& o, const QModelIndex& i) const override {
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        const QRectF r = QRectF(o.rect).adjusted(2, 1, -2, -1);
        const bool chosen = (o.state & QStyle::State_Selected) != 0;
        if (chosen) {
            p->setPen(Qt::NoPen);
            p->setBrush(look().ink);
            p->drawRoundedRect(r, 5, 5);
        }
        const QColor ink = chosen ? look().onInk : look().ink;
        p->setFont(sheets::sans(12));
        p->setPen(chosen ? look().onInk : look().soft);
        p->drawText(r.adjusted(10, 0, 0, 0), Qt::AlignVCenter | Qt::AlignLeft,
                    i.data(whatRole).toString());
        const auto more = i.data(moreRole).toString();
        p->setFont(sheets::lettering(13));
        const double w = more.isEmpty() ? 0 : p->fontMetrics().horizontalAdvance(more) + 14;
        p->drawText(r.adjusted(0, 0, -10, 0), Qt::AlignVCenter | Qt::AlignRight, more);
        p->setFont(sheets::sans(14));
        p->setPen(ink);
        const QRectF text = r.adjusted(82, 0, -w - 12, 0);
        p->drawText(text, Qt::AlignVCenter | Qt::AlignLeft,
                    p->fontMetrics().elidedText(i.data(Qt::DisplayRole).toString(), Qt::ElideRight,
                                                static_cast<int>(text.width())));
        p->restore();
    }
};

/// How well letters match: a word that begins so, then anywhere, then in order; below 0 for not.
int matches(const QString& text, const QString& typed) {
    if (typed.isEmpty())
        return 3;
    const auto t = text.toLower();
    if (t.startsWith(typed))
        return 0;
    if (t.contains(' ' + typed))
        return 1;
    if (t.contains(typed))
        return 2;
    // All its words, in any order.
    const auto words = typed.split(' ', Qt::SkipEmptyParts);
    return std::all_of(words.begin(), words.end(), [&](const QString& w) { return t.contains(w); })
               ? 4
               : -1;
}

} // namespace

Finder::Finder(JobSession& session, const QList<QAction*>& acts, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("finder");
    setWindowTitle(tr("Find anything"));
    openAt(*this, {600, 460});
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(14, 14, 14, 12);
    column->setSpacing(8);
    box_ = new QLineEdit;
    box_->setPlaceholderText(
        tr("A few letters of an act, a piece, a kind, a rule, a scheme or a wall"));
    box_->setAccessibleName(tr("Find anything"));
    box_->setClearButtonEnabled(true);
    column->addWidget(box_);
    list_ = new QListWidget;
    list_->setItemDelegate(new RowPainter(list_));
    list_->setAccessibleName(tr("What was found"));
    column->addWidget(list_, 1);
    auto* say = new QLabel(tr("Enter does it, goes to it, or puts it on the line."));
    say->setProperty("quiet", true);
    column->addWidget(say);
    gather(acts);
    box_->installEventFilter(this);
    connect(box_, &QLineEdit::textChanged, this, &Finder::look);
    connect(box_, &QLineEdit::returnPressed, this, &Finder::take);
    connect(list_, &QListWidget::itemActivated, this, &Finder::take);
    connect(list_, &QListWidget::itemClicked, this, &Finder::take);
    look();
    box_->setFocus();
}

void Finder::gather(const QList<QAction*>& acts) {
    for (QAction* a : acts) {
        auto text = a->text();
        text.remove('&');
        if (text.isEmpty() || a->isSeparator() || !a->isEnabled() || !a->isVisible() ||
            a->objectName().isEmpty())
            continue;
        entries_.push_back(
            {text, "act", a->shortcut().toString(QKeySequence::NativeText), [a] { a->trigger(); }});
    }
    const auto& job = *session_.project();
    for (const Piece& p : job.scheme().pieces) {
        entries_.push_back({QString::fromStdString(p.name), "piece",
                            QString::fromStdString(footprintWords(p, job.notation)),
                            [this, id = p.id] { session_.show(id); }});
    }
    for (const Zone& z : job.scheme().zones)
        entries_.push_back({QString::fromStdString(z.name), "zone",
                            tr("%1 pieces").arg(z.pieces.size()),
                            [this, ids = z.pieces] { session_.select(ids); }});
    const auto here = job.schemesHere();
    for (std::size_t k = 0; k < here.size(); ++k)
        entries_.push_back({QString::fromStdString(job.schemes[here[k]]->name), "scheme",
                            QString::number(k + 1), [this, i = here[k]] {
                                session_.apply({inOwnWords("go to scheme"), {SwitchScheme{i}}, {}});
                            }});
    for (const auto& r : job.rooms)
        entries_.push_back(
            {QString::fromStdString(r->name),
             "room",
             {},
             [this, line = "room " + QString::fromStdString(r->name)] { session_.sayLine(line); }});
    entries_.push_back({tr("Ceiling"), "surface", {}, [this] { session_.goTo(theCeiling()); }});
    for (std::size_t i = 0; i < job.room->walls.size(); ++i)
        entries_.push_back(
            {tr("Wall ") + QString::fromStdString(job.room->walls[i].name), "wall",
             QString::fromStdString(write(job.room->walls[i].length(), job.notation)),
             [this, i] { session_.goTo(onWall(static_cast<int>(i))); }});
    for (std::size_t i = 0; i < session_.readings().size(); ++i) {
        const Reading& r = session_.readings()[i];
        if (!r.toMend())
            continue;
        entries_.push_back({QString::fromStdString(sentenceOf(r, session_.wording())),
                            tr("to mend"),
                            {},
                            [this, id = r.piece, on = r.surface] {
                                session_.goTo(on);
                                session_.select(id != 0 ? std::vector<int>{id}
                                                        : std::vector<int>{});
                            }});
    }
    for (const auto& k : job.library.kit->kinds())
        entries_.push_back({QString::fromStdString(k->name), "add",
                            QString::fromStdString(words(k->size, job.notation)),
                            [this, n = QString::fromStdString(foldCase(k->name))] {
                                emit lineWanted("add " + n + " ");
                            }});
    for (const Rule& r : job.library.book->rules)
        entries_.push_back(
            {QString::fromStdString(r.id + ": " + r.measuresIn(session_.project()->notation)),
             "rule",
             {},
             [this, id = QString::fromStdString(r.id)] { emit lineWanted("band " + id + " "); }});
}

void Finder::look() {
    const auto typed = box_->text().trimmed().toLower();
    std::vector<std::pair<int, std::size_t>> found;
    for (std::size_t i = 0; i < entries_.size(); ++i) {
        // Without letters: what one does, and what is there.
        if (typed.isEmpty() && (entries_[i].what == "add" || entries_[i].what == "rule"))
            continue;
        if (const int m = matches(entries_[i].text, typed); m >= 0)
            found.emplace_back(m, i);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    list_->clear();
    shown_.clear();
    for (const auto& [rank, i] : found) {
        if (static_cast<int>(shown_.size()) >= mostShown)
            break;
        auto* item = new QListWidgetItem(entries_[i].text, list_);
        item->setData(whatRole, entries_[i].what);
        item->setData(moreRole, entries_[i].more);
        item->setData(Qt::AccessibleTextRole, entries_[i].what + ": " + entries_[i].text);
        shown_.push_back(i);
    }
    list_->setCurrentRow(shown_.empty() ? -1 : 0);
}

void Finder::take() {
    const int row = list_->currentRow();
    if (row < 0 || row >= static_cast<int>(shown_.size()))
        return;
    const auto does = entries_[shown_[static_cast<std::size_t>(row)]].does;
    accept();
    does();
}

bool Finder::eventFilter(QObject* o, QEvent* e) {
    if (o == box_ && e->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(e)->key();
        const int n = list_->count();
        if ((key == Qt::Key_Down || key == Qt::Key_Up) && n > 0) {
            list_->setCurrentRow((list_->currentRow() + (key == Qt::Key_Down ? 1 : n - 1)) % n);
            return true;
        }
    }
    return QDialog::eventFilter(o, e);
}

} // namespace mezzet::app
