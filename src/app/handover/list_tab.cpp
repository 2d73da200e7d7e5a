#include "app/handover/list_tab.h"
#include "app/look/tr.h"

#include "app/look/widgets.h"
#include "edit/handed_over.h"
#include "edit/language.h"
#include "files/whole_file.h"
#include "judge/compare.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/picture_in.h"
#include "site/card.h"

#include <QComboBox>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRegularExpression>
#include <QTableWidget>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {

enum ListColumn {
    named,
    stated,
    from,
    price,
    many,
    days,
    due,
    sized,
    room,
    zone,
    note,
    listColumns
};

/// Numbers by their figures, text by itself.
class ListCell : public QTableWidgetItem {
public:
    using QTableWidgetItem::QTableWidgetItem;
    bool operator<(const QTableWidgetItem& o) const override {
        bool a = false, b = false;
        const double x = text().toDouble(&a), y = o.text().toDouble(&b);
        if (a && b)
            return x < y;
        return a != b ? a : text().localeAwareCompare(o.text()) < 0;
    }
};

/// A state in the language that is spoken, and one that is typed so, or in the line's word.
std::string stateShown(ItemState state) {
    return std::string(mezzet::told(itemStateName(state)));
}
std::optional<ItemState> stateTyped(const std::string& text) {
    for (std::size_t i = 0; i < itemStates; ++i)
        if (foldCase(trimmed(text)) == foldCase(stateShown(static_cast<ItemState>(i))))
            return static_cast<ItemState>(i);
    return readItemState(text);
}

} // namespace

ListTab::ListTab(JobSession& session) : HandoverTab(session) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(8);
    auto* top = new QHBoxLayout;
    filter_ = new QLineEdit;
    filter_->setObjectName("listFilter");
    filter_->setPlaceholderText(tr("Show only what has this in it"));
    filter_->setAccessibleName(tr("Show only what has this in it"));
    filter_->setClearButtonEnabled(true);
    top->addWidget(filter_, 1);
    shown_ = new QComboBox;
    shown_->setObjectName("listShown");
    shown_->setAccessibleName(tr("Show which states"));
    shown_->addItem(tr("Every state"), -1);
    states_ = new QComboBox;
    states_->setObjectName("listStates");
    states_->setAccessibleName(tr("Give the chosen rows a state"));
    states_->addItem(tr("Give the chosen …"), -1);
    for (std::size_t i = 0; i < itemStates; ++i) {
        const auto word = fromCore(stateShown(static_cast<ItemState>(i)));
        shown_->addItem(word, static_cast<int>(i));
        states_->addItem(word, static_cast<int>(i));
    }
    top->addWidget(shown_);
    top->addWidget(states_);
    auto* budgetLabel = new QLabel(tr("Budget"));
    budget_ = new QLineEdit;
    budget_->setObjectName("listBudget");
    budget_->setAccessibleName(tr("Budget"));
    budget_->setFixedWidth(110);
    budget_->setPlaceholderText(tr("none"));
    budgetLabel->setBuddy(budget_);
    top->addWidget(budgetLabel);
    top->addWidget(budget_);
    whole->addLayout(top);

    table_ = newTable("listTable", tr("The list"),
                      {tr("Name"), tr("State"), tr("From"), tr("Price"), tr("How many"),
                       tr("Lead, days"), tr("Comes on"), tr("Size"), tr("Room"), tr("Zone"),
                       tr("Note")});
    // As the schemes have them, until a heading is clicked.
    table_->horizontalHeader()->setSortIndicator(-1, Qt::AscendingOrder);
    table_->setSortingEnabled(true);
    whole->addWidget(table_, 1);

    auto* seen = new QHBoxLayout;
    auto* label = new QLabel(tr("Seen in a shop, for the chosen row: does this one fit?"));
    found_ = new QLineEdit;
    found_->setObjectName("listFound");
    found_->setAccessibleName(tr("Does this one fit? Its size"));
    found_->setPlaceholderText(
        fromCore(exampleIn("88 x 36 x 34", session_.project()->notation.units)));
    found_->setFixedWidth(180);
    label->setBuddy(found_);
    try_ = new QPushButton(tr("Try it in a scheme of its own"));
    try_->setObjectName("listTry");
    try_->setAutoDefault(false);
    try_->setEnabled(false);
    seen->addWidget(label);
    seen->addWidget(found_);
    seen->addWidget(try_);
    seen->addStretch(1);
    whole->addLayout(seen);
    connect(found_, &QLineEdit::returnPressed, this, [this] { askFits(found_->text()); });
    connect(try_, &QPushButton::clicked, this, [this] { tryIt(); });

    auto* foot = new QHBoxLayout;
    totals_ = new QLabel;
    totals_->setObjectName("listTotals");
    totals_->setTextFormat(Qt::PlainText);
    totals_->setWordWrap(true);
    foot->addWidget(totals_, 1);
    addPlainButton(foot, tr("Picture …"), "listPicture", [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("A picture of it"), {},
                                                       tr("Pictures (*.png *.jpg *.jpeg)"));
        if (!path.isEmpty())
            putPicture(path);
    });
    addPlainButton(foot, tr("Read a table …"), "listRead", [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Read the list from"), {},
                                                       tr("Tables (*.csv);;All files (*)"));
        if (!path.isEmpty())
            readFrom(path);
    });
    addPlainButton(foot, tr("Write a table …"), "listWrite", [this] {
        const auto path = QFileDialog::getSaveFileName(this, tr("Write the list to"), "list.csv",
                                                       tr("Tables (*.csv)"));
        if (!path.isEmpty())
            writeTo(path);
    });
    addPlainButton(foot, tr("Print it …"), "listPrint", [this] { emit printWanted(); });
    whole->addLayout(foot);

    connect(filter_, &QLineEdit::textChanged, this, &ListTab::refresh);
    connect(shown_, &QComboBox::currentIndexChanged, this, &ListTab::refresh);
    connect(states_, &QComboBox::activated, this, [this](int at) {
        if (states_->itemData(at).toInt() >= 0)
            setState(static_cast<ItemState>(states_->itemData(at).toInt()));
        states_->setCurrentIndex(0);
    });
    connect(budget_, &QLineEdit::editingFinished, this, &ListTab::takeBudget);
    connect(table_, &QTableWidget::cellChanged, this, &ListTab::typed);
    freshen();
    table_->setIconSize({28, 24});
    table_->resizeColumnsToContents();
    table_->setColumnWidth(named, std::max(table_->columnWidth(named), 190));
    table_->setColumnWidth(from, 130);
    table_->setColumnWidth(sized, 160);
}

void ListTab::refresh() {
    filling_ = true;
    const Project& job = *session_.project();
    items_ = jobList(job);
    const auto chosen = table_->currentItem() != nullptr ? table_->currentRow() : -1;
    table_->setSortingEnabled(false);
    table_->setRowCount(0);
    const auto wanted = foldCase(filter_->text().toStdString());
    const int state = shown_->currentData().toInt();
    for (std::size_t n = 0; n < items_.size(); ++n) {
        const ListItem& i = items_[n];
        if (state >= 0 && static_cast<int>(i.state) != state)
            continue;
        std::string size;
        for (const auto& side : i.size)
            if (side)
                size += (size.empty() ? "" : " x ") + writeGap(*side, job.notation);
        const std::array<std::string, listColumns> cells{i.name,
                                                         stateShown(i.state),
                                                         i.supplier,
                                                         i.price ? moneyText(*i.price) : "",
                                                         std::to_string(i.quantity),
                                                         i.leadDays ? std::to_string(*i.leadDays)
                                                                    : "",
                                                         i.due ? isoDay(*i.due) : "",
                                                         size,
                                                         i.room,
                                                         i.zone,
                                                         i.note};
        if (!wanted.empty() && std::none_of(cells.begin(), cells.end(), [&](const std::string& c) {
                return foldCase(c).find(wanted) != std::string::npos;
            }))
            continue;
        const int row = table_->rowCount();
        table_->insertRow(row);
        for (int c = 0; c < listColumns; ++c) {
            auto* cell = new ListCell(fromCore(cells.at(static_cast<std::size_t>(c))));
            cell->setData(Qt::UserRole, static_cast<int>(n));
            if (c == price || c == many || c == days)
                cell->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            if (c == named && job.pictures && job.pictures->count(i.picture) > 0)
                cell->setIcon(
                    QPixmap::fromImage(sheets::imageOf(job.pictures->at(i.picture))
                                           .scaled(table_->iconSize() * devicePixelRatioF(),
                                                   Qt::KeepAspectRatio, Qt::SmoothTransformation)));
            // A piece's name, size, room and zone are the scheme's.
            if (c == named || c == sized || c == room || c == zone)
                cell->setFlags(cell->flags() & ~Qt::ItemIsEditable);
            table_->setItem(row, c, cell);
        }
    }
    table_->setSortingEnabled(true);
    if (chosen >= 0 && chosen < table_->rowCount())
        table_->selectRow(chosen);
    const ListTotals sums = totalsOf(items_);
    const auto& budget = handedOver(job).budget;
    QString words =
        tr("%1 things, %2 in all").arg(items_.size()).arg(fromCore(writeCost(sums.all)));
    if (budget)
        words += sums.all <= *budget
                     ? tr("; %1 left of the budget").arg(fromCore(writeCost(*budget - sums.all)))
                     : tr("; %1 over the budget").arg(fromCore(writeCost(sums.all - *budget)));
    if (sums.unpriced > 0)
        words += tr("; %1 without a price").arg(sums.unpriced);
    totals_->setText(words);
    if (!budget_->hasFocus())
        budget_->setText(budget ? fromCore(moneyText(*budget)) : QString());
    filling_ = false;
}

bool ListTab::put(const std::vector<ListEntry>& entries, const QString& words) {
    const Project& job = *session_.project();
    const bool done =
        session_.apply(listEdit(job, withEntries(job, entries), words.toStdString()), {}, words);
    if (!done)
        refresh();
    return done;
}

void ListTab::typed(int row, int column) {
    if (filling_)
        return;
    const auto* cell = table_->item(row, column);
    const ListItem i = items_.at(static_cast<std::size_t>(cell->data(Qt::UserRole).toInt()));
    const std::string text = cell->text().trimmed().toStdString();
    ListEntry e;
    e.name = i.name;
    e.room = i.room;
    const auto wrong = [&](const QString& what) {
        emit told(what, true);
        refresh();
    };
    if (column == stated) {
        e.state = stateTyped(text);
        if (!e.state)
            return wrong(
                tr("That is no state of a thing: it is had, or to find, chosen, ordered …"));
    } else if (column == price) {
        e.price = readMoney(text);
        if (!e.price)
            return wrong(tr("That is no price: write it like 1200 or 49.50"));
    } else if (column == many || column == days) {
        bool ok = false;
        const int n = QString::fromStdString(text).toInt(&ok);
        if (!ok || n < 0 || n > (column == many ? mostQuantity : mostTaskDays))
            return wrong(tr("That is no whole number"));
        (column == many ? e.quantity : e.leadDays) = n;
    } else if (column == due) {
        const auto d = readDay(text);
        if (!d)
            return wrong(fromCore(d.problem().sentence()));
        e.due = *d;
    } else if (column == from) {
        e.supplier = tidyName(text);
    } else if (column == note) {
        e.note = tidyName(text);
    }
    // Emptied: what was told is forgotten.
    if (text.empty() && (column == from || column == note)) {
        Handover h = handedOver(*session_.project());
        if (ListEntry* there = h.entry(i.room, i.name)) {
            (column == from ? there->supplier : there->note).clear();
            session_.apply({inOwnWords("the list"), {SetHandover{h}}, {}});
        }
        return;
    }
    put({e}, tr("%1 on the list").arg(fromCore(i.name)));
}

void ListTab::setState(ItemState state) {
    std::vector<ListEntry> entries;
    for (const auto& range : table_->selectionModel()->selectedRows()) {
        const auto& i = items_.at(
            static_cast<std::size_t>(table_->item(range.row(), 0)->data(Qt::UserRole).toInt()));
        ListEntry e;
        e.name = i.name;
        e.room = i.room;
        e.state = state;
        entries.push_back(std::move(e));
    }
    if (entries.empty())
        return emit told("Choose the rows first", true);
    put(entries, QString("%1: %2").arg(entries.size()).arg(fromCore(stateShown(state))));
}

bool ListTab::putPicture(const QString& path) {
    const auto chosen = table_->selectionModel()->selectedRows();
    if (chosen.size() != 1) {
        emit told("Choose one row first", true);
        return false;
    }
    const ListItem i = items_.at(
        static_cast<std::size_t>(table_->item(chosen[0].row(), 0)->data(Qt::UserRole).toInt()));
    const auto picture = sheets::readPicture(path.toStdString());
    if (!picture) {
        emit told(fromCore(picture.problem().sentence()), true);
        return false;
    }
    const Project& job = *session_.project();
    ListEntry e;
    e.name = i.name;
    e.room = i.room;
    e.picture = sheets::pictureKey(job, *picture);
    Edit edit = listEdit(job, withEntries(job, {e}), inOwnWords("picture of ") + i.name);
    edit.acts.insert(edit.acts.begin(), PutPicture{e.picture, *picture});
    return session_.apply(edit, {}, tr("%1 has a picture").arg(fromCore(i.name)));
}

void ListTab::takeBudget() {
    Handover h = handedOver(*session_.project());
    const auto text = budget_->text().trimmed().toStdString();
    std::optional<double> now;
    if (!text.empty()) {
        now = readMoney(text);
        if (!now) {
            emit told("That is no amount of money: write it like 5000", true);
            return;
        }
    }
    if (h.budget == now)
        return;
    h.budget = now;
    session_.apply({inOwnWords("the budget"), {SetHandover{h}}, {}});
}

void ListTab::askFits(const QString& sizes) {
    try_->setEnabled(false);
    const auto chosen = table_->selectionModel()->selectedRows();
    if (chosen.size() != 1)
        return emit told("Choose one row first", true);
    const ListItem i = items_.at(
        static_cast<std::size_t>(table_->item(chosen[0].row(), 0)->data(Qt::UserRole).toInt()));
    const Project& job = *session_.project();
    const Piece* p = i.scheme == job.active ? job.scheme().byId(i.piece) : nullptr;
    if (p == nullptr)
        return emit told("That is no piece of the scheme shown", true);
    // "88 x 36 x 34": what is left out is as planned.
    Size size = p->size;
    const auto parts = sizes.split(QRegularExpression("\\s*[xX×]\\s*"), Qt::SkipEmptyParts);
    const std::array<Length*, 3> sides{&size.width, &size.depth, &size.height};
    for (qsizetype n = 0; n < parts.size() && n < 3; ++n) {
        const auto l = readLength(parts[n].trimmed().toStdString(), job.notation.units);
        if (!l || *l <= Length{})
            return emit told(tr("Say its width, depth and height, like %1")
                                 .arg(fromCore(exampleIn("88 x 36 x 34", job.notation.units))),
                             true);
        *sides.at(static_cast<std::size_t>(n)) = *l;
    }
    if (parts.isEmpty() || parts.size() > 3)
        return emit told(tr("Say its width, depth and height, like %1")
                             .arg(fromCore(exampleIn("88 x 36 x 34", job.notation.units))),
                         true);
    const auto found = doesThisOneFit(job, *session_.scene(), p->id, size);
    if (!found)
        return emit told(fromCore(found.problem().sentence()), true);
    QString words =
        found->fits ? tr("Yes: it upsets nothing") : tr("No: ") + fromCore(found->upsets.front());
    if (found->upsets.size() > 1)
        words += tr(", and %1 more").arg(found->upsets.size() - 1);
    for (const auto& no : found->notIn)
        words += tr("; it doesn't come in by ") + fromCore(no);
    tried_ = found->edit;
    try_->setEnabled(true);
    emit told(words, !found->fits);
}

bool ListTab::tryIt() {
    Edit e = tried_;
    if (e.acts.empty())
        return false;
    e.acts.insert(e.acts.begin(), AddScheme{});
    try_->setEnabled(false);
    tried_ = {};
    return session_.apply(e, {}, tr("It is tried in a scheme of its own"));
}

bool ListTab::readFrom(const QString& path) {
    const auto text = readTextFile(path.toStdString(), std::size_t{16} * 1024 * 1024);
    const auto change = text ? listFromCsv(*text, path.toStdString(), *session_.project())
                             : Result<ListChange>(text.problem());
    if (!change) {
        emit told(fromCore(change.problem().text()), true);
        return false;
    }
    return session_.apply(listEdit(*session_.project(), *change, inOwnWords("read the list")), {},
                          tr("The list was read"));
}

bool ListTab::writeTo(const QString& path) {
    if (const auto written =
            writeWhole(path.toStdString(), listAsCsv(jobList(*session_.project())));
        !written) {
        emit told(fromCore(written.problem().text()), true);
        return false;
    }
    emit told("The list is in " + path, false);
    return true;
}

} // namespace mezzet::app
