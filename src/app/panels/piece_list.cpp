#include "app/panels/piece_list.h"
#include "app/look/tr.h"

#include "app/board/board.h"
#include "app/look/style.h"
#include "edit/language.h"
#include "measure/texts.h"
#include "scheme/spoken.h"
#include "sheets/drawing.h"

#include <algorithm>

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMimeData>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

/// A kind's name in the language that is spoken, plainly; the line knows it by its own.
std::string nameShown(const Kind& k) {
    return plainWord(mezzet::told(k.name));
}

enum Role { idRole = Qt::UserRole, sizeRole, verdictRole, lineRole, headingRole, kindRole };

/// A row: name to the left, size in drafting figures and the verdict's mark to the right.
class RowPainter : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& i) const override {
        return {100, i.data(headingRole).toBool() ? 30 : 27};
    }

    void paint(QPainter* p, const QStyleOptionViewItem& o, const QModelIndex& i) const override {
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        const QRectF r = QRectF(o.rect).adjusted(1, 1, -1, -1);
        const auto text = i.data(Qt::DisplayRole).toString();
        if (i.data(headingRole).toBool()) {
            p->setFont(sheets::sans(13, QFont::Medium));
            p->setPen(look().soft);
            p->drawText(r.adjusted(8, 4, -8, 0), Qt::AlignVCenter | Qt::AlignLeft, text);
            p->restore();
            return;
        }
        const bool chosen = (o.state & QStyle::State_Selected) != 0;
        if (chosen || (o.state & QStyle::State_MouseOver) != 0) {
            p->setPen(QPen(chosen ? look().ink : look().panelEdge, 1.2));
            p->setBrush(chosen ? look().field : QColor(Qt::transparent));
            p->drawRoundedRect(r, 5, 5);
        }
        const bool adding = !i.data(lineRole).toString().isEmpty();
        const double markWidth = adding ? 4 : 24;
        if (!adding) {
            const auto v = static_cast<Verdict>(i.data(verdictRole).toInt());
            sheets::drawVerdict(*p, QRectF(r.right() - 23, r.center().y() - 4, 16, 8), v,
                                look().of(v));
        } else {
            p->setPen(QPen(look().soft, 1.4));
            p->drawLine(QPointF(r.left() + 8, r.center().y()),
                        QPointF(r.left() + 16, r.center().y()));
            p->drawLine(QPointF(r.left() + 12, r.center().y() - 4),
                        QPointF(r.left() + 12, r.center().y() + 4));
        }
        p->setFont(sheets::lettering(12.5));
        const auto size = i.data(sizeRole).toString();
        const double w = p->fontMetrics().horizontalAdvance(size);
        p->setPen(look().soft);
        p->drawText(QRectF(r.right() - markWidth - w - 8, r.top(), w + 2, r.height()),
                    Qt::AlignVCenter | Qt::AlignRight, size);
        p->setFont(sheets::sans(14));
        p->setPen(look().ink);
        const QRectF name = r.adjusted(adding ? 22 : 8, 0, -markWidth - w - 14, 0);
        p->drawText(
            name, Qt::AlignVCenter | Qt::AlignLeft,
            p->fontMetrics().elidedText(text, Qt::ElideRight, static_cast<int>(name.width())));
        p->restore();
    }
};

/// Kinds that are listed while nothing is typed.
constexpr int mostKinds = 200;

/// The list, from whose kinds a piece is dragged to the board.
class KindList : public QListWidget {
public:
    using QListWidget::QListWidget;

protected:
    [[nodiscard]] QMimeData* mimeData(const QList<QListWidgetItem*>& items) const override {
        if (items.isEmpty() || !items.front()->data(kindRole).toBool())
            return nullptr;
        auto* line = new QMimeData;
        const auto text = items.front()->data(lineRole).toString();
        line->setData(Board::addMime, text.toUtf8());
        line->setText(text);
        return line;
    }
};

/// "armchair 30 x 33" in its words and its figures.
std::pair<QString, QString> splitTyped(const QString& typed) {
    int at = 0;
    while (at < typed.size() && !typed[at].isDigit())
        ++at;
    return {typed.left(at).trimmed(), typed.mid(at).trimmed()};
}

} // namespace

PieceList::PieceList(JobSession& session, QWidget* parent) : QWidget(parent), session_(session) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(5);
    auto* label = new QLabel(tr("Find a piece, or add one"));
    label->setProperty("quiet", true);
    label->setContentsMargins(4, 0, 0, 0);
    box_ = new QLineEdit;
    box_->setObjectName("find");
    box_->setAccessibleName(tr("Find a piece, or add one"));
    box_->setClearButtonEnabled(true);
    box_->installEventFilter(this);
    label->setBuddy(box_);
    auto* row = new QHBoxLayout;
    row->setContentsMargins(4, 6, 8, 0);
    heading_ = new QLabel(tr("In this scheme"));
    heading_->setProperty("quiet", true);
    count_ = new QLabel;
    count_->setProperty("quiet", true);
    row->addWidget(heading_);
    row->addStretch();
    row->addWidget(count_);
    list_ = new KindList;
    list_->setDragEnabled(true);
    list_->setDragDropMode(QAbstractItemView::DragOnly);
    list_->setObjectName("pieces");
    list_->setAccessibleName(tr("Pieces"));
    list_->setItemDelegate(new RowPainter(list_));
    list_->setMouseTracking(true);
    list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    column->addWidget(label);
    column->addWidget(box_);
    column->addLayout(row);
    column->addWidget(list_, 1);

    connect(box_, &QLineEdit::textChanged, this, [this] { refill(); });
    connect(box_, &QLineEdit::returnPressed, this, &PieceList::enter);
    connect(list_, &QListWidget::itemSelectionChanged, this, [this] {
        if (filling_)
            return;
        std::vector<int> ids;
        for (const auto* item : list_->selectedItems())
            if (const int id = item->data(idRole).toInt(); id != 0)
                ids.push_back(id);
        if (!ids.empty() || list_->selectedItems().isEmpty())
            session_.select(ids);
    });
    connect(list_, &QListWidget::itemClicked, this, [this](QListWidgetItem* item) {
        if (!item->data(lineRole).toString().isEmpty())
            takeRow(item);
    });
    connect(list_, &QListWidget::itemActivated, this, &PieceList::takeRow);
    connect(&session, &JobSession::jobChanged, this, &PieceList::jobChanged);
    connect(&session, &JobSession::selectionChanged, this, &PieceList::showSelection);
    connect(&session, &JobSession::surfaceChanged, this, &PieceList::refill);
    refill();
}

void PieceList::jobChanged() {
    if (!session_.inTrial())
        return refill();
    // A drag changes no names: only the marks.
    marks_.want();
}

void PieceList::markAll() {
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->data(idRole).toInt() != 0)
            mark(list_->item(i));
}

void PieceList::mark(QListWidgetItem* item) const {
    const auto v = session_.verdictOf(item->data(idRole).toInt());
    item->setData(verdictRole, static_cast<int>(v));
    item->setData(Qt::AccessibleTextRole, QString("%1, %2, %3")
                                              .arg(item->text(), item->data(sizeRole).toString(),
                                                   QString::fromUtf8(verdictName(v).data())));
}

void PieceList::refill() {
    if (session_.project())
        box_->setPlaceholderText(QString::fromStdString(
            exampleIn("armchair 30 x 33", session_.project()->notation.units)));
    filling_ = true;
    const auto typed = box_->text().trimmed();
    const auto [name, figures] = splitTyped(typed);
    const auto wanted = plainWord(name.toStdString());
    const Project& job = *session_.project();
    list_->clear();
    const auto heading = [&](const QString& text) {
        auto* item = new QListWidgetItem(text, list_);
        item->setData(headingRole, true);
        item->setFlags(Qt::NoItemFlags);
    };
    const auto piece = [&](const Piece& p) {
        auto* item = new QListWidgetItem(QString::fromStdString(p.name), list_);
        item->setData(idRole, p.id);
        item->setData(sizeRole, QString::fromStdString(footprintWords(p, job.notation)));
        mark(item);
    };
    int shown = 0;
    const auto matches = [&](const Piece& p) {
        return wanted.empty() || (' ' + plainWord(p.name)).find(' ' + wanted) != std::string::npos;
    };
    if (!session_.surface().isWall()) {
        for (const auto& p : job.scheme().pieces)
            if ((session_.surface().isCeiling() ? p.on.isCeiling() : !p.onWall()) && matches(p)) {
                piece(p);
                ++shown;
            }
    } else {
        // Groups with their pieces under them, then what hangs alone.
        const Scheme& s = job.scheme();
        const auto inner = [&](const Piece& p) {
            piece(p);
            if (p.group() != 0)
                list_->item(list_->count() - 1)->setText("    " + QString::fromStdString(p.name));
            ++shown;
        };
        for (const bool group : {true, false})
            for (const Piece& p : s.on(session_.surface())) {
                if (p.isGroup() != group || p.group() != 0)
                    continue;
                if (matches(p))
                    inner(p);
                for (const Piece* m : s.members(p.id))
                    if (matches(*m))
                        inner(*m);
            }
        bool headed = false;
        for (const auto& at : standingBefore(*session_.scene(), session_.surface().wall())) {
            const Piece& p = FloorView(*session_.scene()).piece(at.index);
            if (!matches(p))
                continue;
            if (!headed)
                heading(tr("In front of it"));
            headed = true;
            piece(p);
            // On a wall it matters how far off a thing stands, not how large its plan is.
            list_->item(list_->count() - 1)
                ->setData(sizeRole,
                          QString::fromStdString(
                              worded("{} off", writeGap(Length::millimetres(std::max(at.off, 0.0)),
                                                        job.notation))));
            mark(list_->item(list_->count() - 1));
        }
    }
    if (session_.surface().isFloor() && !job.scheme().away.empty()) {
        heading(job.scheme().arrangement == Arrangement::day ? tr("For guests only")
                                                             : tr("Every day only"));
        for (const auto& p : job.scheme().away) {
            if (!matches(p))
                continue;
            auto* item = new QListWidgetItem(QString::fromStdString(p.name), list_);
            item->setData(sizeRole, QString::fromStdString(footprintWords(p, job.notation)));
            item->setData(lineRole, QString("bring out ") + QString::fromStdString(p.name));
            item->setData(Qt::AccessibleTextRole, tr("Bring out ") + item->text());
        }
    }
    heading_->setText(session_.surface().isFloor()
                          ? tr("In this scheme")
                          : capitalised(spoken(session_.surface(), job.wording())));
    count_->setText(QString::number(shown));
    {
        const Kit& kit = *session_.project()->library.kit;
        auto kinds = kit.matching(wanted);
        // By their names in the language that is spoken too.
        for (const KindPtr& k : kit.kinds())
            if (!wanted.empty() && nameShown(*k).find(wanted) != std::string::npos &&
                std::find(kinds.begin(), kinds.end(), k) == kinds.end())
                kinds.push_back(k);
        // A group is made of pieces; what stands is added on the floor.
        std::erase_if(kinds, [this](const KindPtr& k) {
            return k->role == mezzet::Role::group || (session_.surface().isWall() && !k->hangs()) ||
                   (session_.surface().isCeiling() && !k->underCeiling());
        });
        if (!kinds.empty())
            heading(typed.isEmpty() ? tr("Add, or drag to the board") : tr("Add"));
        int n = 0;
        for (const auto& k : kinds) {
            if (++n > (typed.isEmpty() ? mostKinds : 12))
                break;
            Piece p = pieceOf(k);
            if (k->hangs())
                p.on = onWall(0); // of what hangs, width and height
            const auto own = QString::fromUtf8(mezzet::told(k->name).data());
            const auto english = QString::fromStdString(k->name);
            auto* item = new QListWidgetItem(own, list_);
            item->setData(sizeRole, figures.isEmpty()
                                        ? QString::fromStdString(footprintWords(p, job.notation))
                                        : figures);
            item->setData(lineRole, QString("add %1 %2")
                                        .arg(QString::fromStdString(k->name).toLower(), figures)
                                        .trimmed());
            item->setData(Qt::AccessibleTextRole, tr("Add ") + item->text());
            item->setData(kindRole, true);
            item->setToolTip(
                tr("Click to add one, or drag it to its place") +
                (own == english ? QString() : "\n" + tr("On the line: %1").arg(english.toLower())));
        }
        if (shown == 0 && kinds.empty())
            heading(tr("Nothing by that name"));
    }
    filling_ = false;
    showSelection();
}

void PieceList::showSelection() {
    filling_ = true;
    for (int i = 0; i < list_->count(); ++i) {
        auto* item = list_->item(i);
        const int id = item->data(idRole).toInt();
        const bool chosen = id != 0 && session_.isSelected(id);
        item->setSelected(chosen);
        if (chosen && session_.selected().size() == 1) {
            list_->setCurrentItem(item, QItemSelectionModel::NoUpdate);
            list_->scrollToItem(item);
        }
    }
    filling_ = false;
}

void PieceList::takeRow(QListWidgetItem* item) {
    const auto line = item->data(lineRole).toString();
    if (line.isEmpty()) {
        if (const int id = item->data(idRole).toInt(); id != 0)
            session_.select({id});
        emit finished();
        return;
    }
    // The row is gone once the job changes.
    if (session_.sayLine(line)) {
        box_->clear();
        emit finished();
    }
}

void PieceList::enter() {
    // A name that is there is found; anything else adds the first kind that matches.
    const auto typed = box_->text().trimmed();
    if (typed.isEmpty())
        return;
    QListWidgetItem* firstAdd = nullptr;
    QListWidgetItem* firstPiece = nullptr;
    for (int i = 0; i < list_->count(); ++i) {
        auto* item = list_->item(i);
        if (firstPiece == nullptr && item->data(idRole).toInt() != 0)
            firstPiece = item;
        if (firstAdd == nullptr && !item->data(lineRole).toString().isEmpty())
            firstAdd = item;
    }
    const bool sized = !splitTyped(typed).second.isEmpty() &&
                       session_.project()->scheme().byName(typed.toStdString()) == nullptr;
    if (firstPiece != nullptr && !sized) {
        takeRow(firstPiece);
        box_->clear();
    } else if (firstAdd != nullptr) {
        takeRow(firstAdd);
    } else {
        emit session_.told("Neither the scheme nor the kit has “" + typed + "”", true);
    }
}

bool PieceList::eventFilter(QObject* o, QEvent* e) {
    if (o == box_ && e->type() == QEvent::KeyPress) {
        auto* k = static_cast<QKeyEvent*>(e);
        if (k->key() == Qt::Key_Down && list_->count() > 0) {
            list_->setFocus();
            for (int i = 0; i < list_->count(); ++i)
                if ((list_->item(i)->flags() & Qt::ItemIsEnabled) != 0) {
                    list_->setCurrentRow(i);
                    break;
                }
            return true;
        }
        if (k->key() == Qt::Key_Escape) {
            box_->clear();
            emit finished();
            return true;
        }
    }
    return QWidget::eventFilter(o, e);
}

} // namespace mezzet::app
