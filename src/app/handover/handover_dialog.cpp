#include "app/handover/handover_dialog.h"
#include "app/look/tr.h"

#include "app/dialogs/paper_choice.h"
#include "app/look/style.h"
#include "app/look/widgets.h"
#include "measure/texts.h"
#include "sheets/sheet.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QTabWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

HandoverDialog::HandoverDialog(JobSession& session, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("handoverDialog");
    setWindowTitle(tr("Hand over"));
    openAt(*this, {1160, 740});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(10);
    tabs_ = new QTabWidget;
    tabs_->setObjectName("handoverTabs");
    tabs_->addTab(list_ = new ListTab(session), tr("The list"));
    tabs_->addTab(order_ = new OrderTab(session), tr("Order of work"));
    tabs_->addTab(tape_ = new TapeTab(session), tr("Tape-out"));
    tabs_->addTab(built_ = new BuiltTab(session), tr("As built"));
    tabs_->addTab(bookTab(), tr("The book"));
    whole->addWidget(tabs_, 1);
    auto* foot = new QHBoxLayout;
    told_ = new QLabel;
    told_->setObjectName("handoverTold");
    told_->setTextFormat(Qt::PlainText);
    told_->setWordWrap(true);
    told_->setMinimumHeight(22);
    foot->addWidget(told_, 1);
    addPlainButton(foot, tr("Undo"), "handoverUndo", [this] { session_.undo(); });
    addPlainButton(foot, tr("Close"), "handoverClose", [this] { accept(); });
    whole->addLayout(foot);
    connect(tabs_, &QTabWidget::currentChanged, told_, &QLabel::clear);
    connect(&session, &JobSession::told, this, &HandoverDialog::tell);
    for (const auto& [tab, sheet] : std::initializer_list<std::pair<HandoverTab*, const char*>>{
             {list_, "list"}, {order_, "order"}, {tape_, "tape-out"}, {built_, "as-built"}}) {
        connect(tab, &HandoverTab::told, this, &HandoverDialog::tell);
        connect(tab, &HandoverTab::printWanted, this,
                [this, sheet = sheet] { emit printSheet(sheet); });
    }
    connect(tape_, &TapeTab::builtWanted, this, [this](const QString& piece) {
        tabs_->setCurrentWidget(built_);
        built_->line()->setText(piece + " ");
        built_->line()->setFocus();
    });
}

QWidget* HandoverDialog::bookTab() {
    auto* page = new QWidget;
    auto* whole = new QVBoxLayout(page);
    whole->setContentsMargins(12, 12, 12, 8);
    whole->setSpacing(8);
    auto* top = new QHBoxLayout;
    auto* label = new QLabel(tr("One PDF, with contents and page numbers, for"));
    reader_ = new QComboBox;
    reader_->setObjectName("bookReader");
    reader_->setAccessibleName(tr("Who the book is for"));
    for (const auto& [words, reader] :
         {std::pair{tr("yourself: all of it"), sheets::Reader::all},
          std::pair{tr("the client"), sheets::Reader::client},
          std::pair{tr("the shop"), sheets::Reader::shop},
          std::pair{tr("the electrician"), sheets::Reader::electrician},
          std::pair{tr("the installer"), sheets::Reader::installer},
          std::pair{tr("the workroom"), sheets::Reader::workroom}})
        reader_->addItem(words, static_cast<int>(reader));
    label->setBuddy(reader_);
    top->addWidget(label);
    top->addWidget(reader_);
    top->addSpacing(12);
    paper_ = newPaperBox();
    paper_->setObjectName("bookPaper");
    paper_->setAccessibleName(tr("Paper"));
    scale_ = newScaleBox(session_.project()->notation.units);
    scale_->setObjectName("bookScale");
    scale_->setAccessibleName(tr("Scale of plans and walls"));
    for (const auto& [words, box] : {std::pair{tr("on"), paper_}, std::pair{tr("at"), scale_}}) {
        top->addWidget(new QLabel(words));
        top->addWidget(box);
    }
    top->addStretch(1);
    whole->addLayout(top);
    chapters_ = new QListWidget;
    chapters_->setObjectName("bookChapters");
    chapters_->setAccessibleName(tr("What is in it"));
    whole->addWidget(chapters_, 1);
    auto* note = new QLabel(tr("Costs and what is to mend are in your own book only. What there is "
                               "nothing to show of is left out."));
    note->setProperty("quiet", true);
    note->setWordWrap(true);
    whole->addWidget(note);
    auto* foot = new QHBoxLayout;
    auto* make = new QPushButton(tr("Make the book …"));
    make->setObjectName("bookMake");
    make->setAutoDefault(false);
    connect(make, &QPushButton::clicked, this, [this] {
        remember();
        emit printBook(asked());
    });
    foot->addWidget(make);
    addPlainButton(foot, tr("The shopping card alone …"), "bookCard", [this] { emit printCard(); });
    foot->addStretch(1);
    whole->addLayout(foot);
    connect(reader_, &QComboBox::currentIndexChanged, this, &HandoverDialog::showChapters);
    showChapters();
    return page;
}

void HandoverDialog::showChapters() {
    chapters_->clear();
    const auto reader = static_cast<sheets::Reader>(reader_->currentData().toInt());
    // As it was asked for last.
    const auto& prints = session_.settledProject()->prints;
    const auto last = prints.find(sheets::bookKey(reader));
    const PrintChoice choice = last != prints.end() ? last->second : PrintChoice{};
    choose(paper_, choice.paper);
    choose(scale_, choice.scale);
    const auto isOut = [&](const std::string& id) {
        return std::find(choice.leftOut.begin(), choice.leftOut.end(), id) != choice.leftOut.end();
    };
    for (const auto& [id, title] : sheets::chaptersOf(reader)) {
        const sheets::SheetKind* kind = sheets::sheetById(id);
        auto* item = new QListWidgetItem(
            kind != nullptr ? fromCore(title + "\n" + std::string(mezzet::told(kind->about)))
                            : fromCore(title),
            chapters_);
        item->setData(Qt::UserRole, fromCore(id));
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        item->setCheckState(isOut(id) ? Qt::Unchecked : Qt::Checked);
    }
}

void HandoverDialog::remember() {
    PrintChoice c;
    c.paper = paper_->currentData().toString().toStdString();
    c.scale = scale_->currentData().toString().toStdString();
    c.leftOut = asked().leftOut;
    session_.remember(sheets::bookKey(asked().reader), c);
}

sheets::BookAsked HandoverDialog::asked() const {
    sheets::BookAsked a;
    a.reader = static_cast<sheets::Reader>(reader_->currentData().toInt());
    a.options.paper = sheets::paperNamed(paper_->currentData().toString().toStdString());
    a.options.scale = sheets::readScale(scale_->currentData().toString().toStdString());
    for (int i = 0; i < chapters_->count(); ++i)
        if (chapters_->item(i)->checkState() != Qt::Checked)
            a.leftOut.push_back(chapters_->item(i)->data(Qt::UserRole).toString().toStdString());
    return a;
}

QString HandoverDialog::told() const {
    return told_->text();
}

void HandoverDialog::tell(const QString& words, bool trouble) {
    told_->setStyleSheet(QString("color: %1;").arg((trouble ? look().tight : look().right).name()));
    told_->setText(words);
}

} // namespace mezzet::app
