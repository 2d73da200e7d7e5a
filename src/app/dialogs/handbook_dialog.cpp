#include "app/dialogs/handbook_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "rules/rules_page.h"
#include "speech/line_page.h"

#include <QDir>
#include <QFile>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBlock>
#include <QTextBrowser>
#include <QTextTable>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

/// The pages in the order they are read; others come after them.
const QStringList pageOrder{"measure",  "tape-notes", "line", "walls",  "dressing",
                            "handover", "rules",      "kit",  "limits", "job-file"};

/// Installed beside the data; in the source beside its folder.
QDir handbookFolder() {
    const auto data = QString::fromStdString(dataFolder().string());
    const QDir packed(data + "/handbook");
    return packed.exists() ? packed : QDir(data + "/../docs");
}

/// A page in the language that is spoken, or in English where it has none; empty when there is no
/// such page.
QString pageText(const QString& id) {
    const QDir folder = handbookFolder();
    const auto own = ownHandbook();
    for (const QString& path :
         {own.empty() ? QString() : QString::fromStdString(own) + "/", QString()}) {
        QFile file(folder.filePath(path + id + ".md"));
        if (file.open(QIODevice::ReadOnly))
            return QString::fromUtf8(file.readAll());
    }
    return {};
}

} // namespace

HandbookDialog::HandbookDialog(const RuleBook& book, Units units, QWidget* parent)
    : QDialog(parent) {
    setObjectName("handbook");
    setWindowTitle(tr("Handbook"));
    openAt(*this, {1080, 720});
    for (const QString& id : pageOrder) {
        Page p;
        p.id = id;
        p.text = id == "line"    ? QString::fromStdString(linePage(units))
                 : id == "rules" ? QString::fromStdString(rulesPage(book, units))
                                 : pageText(id);
        if (p.text.isEmpty())
            continue;
        p.title = p.text.section('\n', 0, 0).remove('#').trimmed();
        pages_.push_back(std::move(p));
    }
    auto* whole = new QHBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(14);
    auto* left = new QVBoxLayout;
    search_ = new QLineEdit;
    search_->setObjectName("handbookSearch");
    search_->setPlaceholderText(tr("Look for"));
    search_->setAccessibleName(tr("Look for"));
    search_->setClearButtonEnabled(true);
    left->addWidget(search_);
    list_ = new QListWidget;
    list_->setObjectName("handbookList");
    list_->setAccessibleName(tr("Pages"));
    list_->setWordWrap(true);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    left->addWidget(list_, 1);
    auto* side = new QWidget;
    side->setLayout(left);
    left->setContentsMargins(0, 0, 0, 0);
    side->setFixedWidth(300);
    whole->addWidget(side);
    text_ = new QTextBrowser;
    text_->setObjectName("handbookText");
    text_->setAccessibleName(tr("Text"));
    text_->setOpenLinks(false);
    whole->addWidget(text_, 1);
    connect(search_, &QLineEdit::textChanged, this, &HandbookDialog::fill);
    connect(list_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item != nullptr)
            openPage(item->data(Qt::UserRole).toInt(), item->data(Qt::UserRole + 1).toString());
    });
    // From page to page.
    connect(text_, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& url) { showPage(url.path().section('/', -1).section('.', 0, 0)); });
    fill();
    list_->setCurrentRow(0);
    search_->setFocus();
}

void HandbookDialog::fill() {
    const auto wanted = search_->text().trimmed();
    const QSignalBlocker quiet(list_);
    list_->clear();
    const auto add = [&](const QString& words, int page, const QString& at) {
        auto* item = new QListWidgetItem(words, list_);
        item->setData(Qt::UserRole, page);
        item->setData(Qt::UserRole + 1, at);
    };
    constexpr int mostHits = 200;
    for (int i = 0; i < pages(); ++i) {
        const Page& p = pages_[static_cast<std::size_t>(i)];
        if (wanted.isEmpty()) {
            add(p.title, i, {});
            continue;
        }
        QString heading = p.title;
        for (const QString& line : p.text.split('\n')) {
            if (line.startsWith('#'))
                heading = QString(line).remove('#').trimmed();
            if (list_->count() < mostHits && line.contains(wanted, Qt::CaseInsensitive)) {
                auto plain = QString(line).remove('`').remove('*').remove('|').simplified();
                if (plain.size() > 110) {
                    const auto at = plain.indexOf(wanted, 0, Qt::CaseInsensitive);
                    plain = "… " + plain.mid(std::max<qsizetype>(0, at - 30), 100) + " …";
                }
                add(QString("%1: %2").arg(heading, plain), i, wanted);
            }
        }
    }
    if (list_->count() == 0)
        add(tr("Nothing has that in it."), shown_, {});
}

void HandbookDialog::openPage(int page, const QString& wanted) {
    if (page < 0 || page >= pages())
        return;
    if (page != shown_) {
        text_->setMarkdown(pages_[static_cast<std::size_t>(page)].text);
        shown_ = page;
        // Air between paragraphs, and more over headings.
        text_->document()->setDocumentMargin(20);
        for (QTextBlock b = text_->document()->begin(); b.isValid(); b = b.next()) {
            QTextCursor cursor(b);
            QTextBlockFormat f = b.blockFormat();
            // A line of code stands close to the next one.
            const bool isCode = f.hasProperty(QTextFormat::BlockCodeLanguage);
            const bool code =
                isCode && b.next().blockFormat().hasProperty(QTextFormat::BlockCodeLanguage);
            std::vector<std::pair<int, int>> links;
            for (auto part = b.begin(); !part.atEnd(); ++part)
                if (part.fragment().charFormat().isAnchor())
                    links.emplace_back(part.fragment().position(), part.fragment().length());
            for (const auto& [from, length] : links) {
                QTextCursor at(text_->document());
                at.setPosition(from);
                at.setPosition(from + length, QTextCursor::KeepAnchor);
                QTextCharFormat link;
                link.setForeground(look().right);
                at.mergeCharFormat(link);
            }
            f.setTopMargin(f.headingLevel() > 0 ? 18 : 0);
            f.setBottomMargin(cursor.currentTable() != nullptr || code ? 1 : 8);
            cursor.setBlockFormat(f);
        }
    }
    text_->moveCursor(QTextCursor::Start);
    // The hit of that row: as many on as rows of the page stand before it.
    if (wanted.isEmpty())
        return;
    int before = 0;
    for (int r = 0; r < list_->currentRow(); ++r)
        before += list_->item(r)->data(Qt::UserRole).toInt() == page ? 1 : 0;
    for (int n = 0; n <= before; ++n)
        if (!text_->find(wanted))
            break;
}

bool HandbookDialog::showPage(const QString& page) {
    for (int i = 0; i < pages(); ++i)
        if (pages_[static_cast<std::size_t>(i)].id == page) {
            search_->clear();
            list_->setCurrentRow(i);
            return true;
        }
    return false;
}

} // namespace mezzet::app
