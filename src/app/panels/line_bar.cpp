#include "app/panels/line_bar.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "judge/say.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QVBoxLayout>

namespace mezzet::app {

namespace {
constexpr int mostChoices = 9;
constexpr int tellMilliseconds = 6000;
constexpr int pauseMilliseconds = 350;
constexpr int idleMilliseconds = 200;
} // namespace

LineBar::LineBar(JobSession& session, QWidget* parent) : QFrame(parent), session_(session) {
    setObjectName("lineBar");
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(14, 8, 14, 8);
    column->setSpacing(2);
    edit_ = new QLineEdit;
    edit_->setObjectName("line");
    edit_->setFrame(false);
    edit_->setStyleSheet("QLineEdit { background: transparent; border: none; padding: 1px; "
                         "font-family: 'Routed Gothic'; font-size: 18px; }");
    edit_->setPlaceholderText(tr("Say it, or ask"));
    edit_->setAccessibleName(tr("The line: type what you would say"));
    edit_->installEventFilter(this);
    preview_ = new QLabel;
    preview_->setObjectName("preview");
    preview_->setProperty("quiet", true);
    preview_->setWordWrap(false);
    preview_->setMinimumHeight(18);
    preview_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    column->addWidget(edit_);
    column->addWidget(preview_);

    popup_ = new QListWidget(nullptr);
    popup_->setWindowFlags(Qt::ToolTip | Qt::FramelessWindowHint);
    popup_->setObjectName("choices");
    popup_->setFocusPolicy(Qt::NoFocus);
    popup_->setAttribute(Qt::WA_ShowWithoutActivating);
    popup_->setAccessibleName(tr("Ways to go on"));
    connect(this, &QObject::destroyed, popup_, &QObject::deleteLater);
    connect(popup_, &QListWidget::itemClicked, this, [this] { take(popup_->currentRow()); });

    quiet_.setSingleShot(true);
    quiet_.setInterval(0);
    idle_.setSingleShot(true);
    idle_.setInterval(idleMilliseconds);
    connect(&idle_, &QTimer::timeout, this, [this] {
        if (!told_.isActive() && !answered_ && edit_->text().isEmpty() &&
            session_.marks().empty() && !session_.inTrial())
            showOpenings();
    });
    pause_.setSingleShot(true);
    pause_.setInterval(pauseMilliseconds);
    connect(&pause_, &QTimer::timeout, this, &LineBar::lookForWays);
    told_.setSingleShot(true);
    told_.setInterval(tellMilliseconds);
    connect(&quiet_, &QTimer::timeout, this, &LineBar::refresh);
    connect(&told_, &QTimer::timeout, this, [this] {
        // The line may take less room then, which moves the board: not under a hand.
        if (session_.inTrial())
            told_.start();
        else
            refresh();
    });
    connect(edit_, &QLineEdit::textEdited, this, [this] {
        told_.stop();
        recalled_ = history_.size();
        looking_.drop(search_);
        quiet_.start();
        offer();
        pause_.start();
    });
    connect(edit_, &QLineEdit::returnPressed, this, &LineBar::enter);
    connect(&session, &JobSession::jobChanged, this, [this] {
        if (!told_.isActive() && !edit_->text().isEmpty())
            quiet_.start();
    });
    connect(&session, &JobSession::told, this, &LineBar::tell);
    connect(&session, &JobSession::answered, this, &LineBar::answer);
    for (const auto changed :
         {&JobSession::selectionChanged, &JobSession::surfaceChanged, &JobSession::jobChanged})
        connect(&session, changed, this, [this] {
            // Never while something is dragged. An answer comes after what it shows.
            answered_ = false;
            if (!session_.inTrial() && edit_->text().isEmpty())
                idle_.start();
        });
}

QString LineBar::preview() const {
    return preview_->text();
}

void LineBar::tell(const QString& words, bool trouble) {
    answered_ = false;
    // Whole, for it may end in a caution.
    preview_->setWordWrap(true);
    preview_->setText(words);
    preview_->setToolTip({});
    preview_->setStyleSheet(
        QString("color: %1; font-size: 13px;").arg((trouble ? look().tight : look().right).name()));
    preview_->setAccessibleName(words);
    told_.start();
}

void LineBar::refresh() {
    const auto text = edit_->text();
    answered_ = false;
    preview_->setToolTip({});
    preview_->setStyleSheet(QString("color: %1; font-size: 13px;").arg(look().soft.name()));
    preview_->setWordWrap(false);
    if (text.trimmed().isEmpty()) {
        preview_->setText({});
        idle_.start();
        return;
    }
    if (takesLong(text.toStdString())) {
        preview_->setText(tr("Enter: looks for what can be mended, and mends it"));
        return;
    }
    if (isQuestion(text.toStdString())) {
        preview_->setText(tr("Enter: looks, and answers"));
        return;
    }
    const auto said =
        readSpoken(text.toStdString(), *session_.settledProject(), session_.listener());
    if (said) {
        const bool back = said->is == Spoken::Is::undo || said->is == Spoken::Is::redo;
        preview_->setText(tr("Enter: ") + (back ? text.trimmed().toLower()
                                                : QString::fromStdString(said->said.preview)));
        preview_->setToolTip(preview_->text());
        return;
    }
    if (popup_->isVisible() && !ways_) {
        // Half a word is no mistake yet.
        QStringList ways;
        for (int i = 0; i < popup_->count() && i < 4; ++i)
            ways << popup_->item(i)->text();
        preview_->setText(tr("Tab goes on: ") + ways.join(", ") +
                          (popup_->count() > 4 ? QString(" …") : QString()));
        return;
    }
    // Point at the word: the fault is marked in the sentence.
    const auto& p = said.problem();
    QString where;
    if (p.column > 0 && p.width > 0)
        where = "“" + text.mid(p.column - 1, p.width).trimmed() + "”: ";
    auto sentence = QString::fromStdString(p.sentence());
    if (sentence.contains(where.chopped(std::min<qsizetype>(2, where.size()))))
        where.clear();
    preview_->setText(where + sentence);
    preview_->setToolTip(preview_->text());
    preview_->setStyleSheet(QString("color: %1; font-size: 13px;").arg(look().tight.name()));
}

void LineBar::offer() {
    const auto text = edit_->text();
    popup_->clear();
    ways_ = false;
    if (text.trimmed().isEmpty() || edit_->cursorPosition() != text.size()) {
        popup_->hide();
        return;
    }
    for (const auto& c :
         completions(text.toStdString(), *session_.settledProject(), session_.listener())) {
        auto* item = new QListWidgetItem(QString::fromStdString(c.word), popup_);
        item->setData(Qt::UserRole, QString::fromStdString(c.text));
        if (popup_->count() >= mostChoices)
            break;
    }
    if (popup_->count() == 0) {
        popup_->hide();
        return;
    }
    popup_->setCurrentRow(-1);
    place();
    popup_->show();
}

void LineBar::place() {
    popup_->setStyleSheet(
        QString("QListWidget { background: %1; border: 1px solid %2; padding: 4px; } "
                "QListWidget::item { padding: 3px 8px; color: %3; } QListWidget::item:selected { "
                "background: %3; color: %4; }")
            .arg(look().field.name(), look().soft.name(), look().ink.name(), look().onInk.name()));
    popup_->ensurePolished(); // else its rows are told without their padding
    const int row = popup_->sizeHintForRow(0) > 0 ? popup_->sizeHintForRow(0) : 24;
    const int h = popup_->count() * row + 16;
    const QFontMetrics m(edit_->font());
    const int wide = ways_ ? std::min(edit_->width(), 560) : 240;
    const int x =
        ways_ ? 0
              : std::min(m.horizontalAdvance(edit_->text()), std::max(0, edit_->width() - wide));
    const QPoint at = edit_->mapToGlobal(QPoint(x, -h - 10));
    popup_->setGeometry(at.x(), std::max(0, at.y()), wide, h);
}

void LineBar::take(int row) {
    if (row < 0 || row >= popup_->count())
        return;
    const bool whole = ways_;
    edit_->setText(popup_->item(row)->data(Qt::UserRole).toString() + (whole ? "" : " "));
    popup_->hide();
    refresh();
    if (!whole)
        offer();
}

void LineBar::lookForWays() {
    const auto text = edit_->text();
    if (text.trimmed().isEmpty() || popup_->isVisible() || isQuestion(text.toStdString()) ||
        takesLong(text.toStdString()))
        return;
    search_ =
        looking_.run([text = text.toStdString(), job = session_.settledProject(),
                      to = session_.listener()](Progress&) { return waysOn(text, *job, to); },
                     [this, text](const std::vector<std::string>& found) {
                         if (edit_->text() == text && edit_->hasFocus() && !popup_->isVisible())
                             showWays(found);
                     });
}

void LineBar::showWays(const std::vector<std::string>& found) {
    if (found.empty())
        return;
    popup_->clear();
    ways_ = true;
    for (const auto& line : found) {
        auto* item = new QListWidgetItem(tr("Say: ") + QString::fromStdString(line), popup_);
        item->setData(Qt::UserRole, QString::fromStdString(line));
    }
    popup_->setCurrentRow(-1);
    place();
    popup_->show();
}

/// What could be said of what is selected, where nothing is typed yet.
void LineBar::showOpenings() {
    QStringList lines;
    for (const auto& l : openings(*session_.settledProject(), session_.listener()))
        lines << QString::fromStdString(l);
    preview_->setText(lines.isEmpty() ? QString() : tr("Say: ") + lines.join("  ·  "));
    preview_->setAccessibleName(preview_->text());
}

void LineBar::answer(const QString& words) {
    tell(words, false);
    told_.stop();
    answered_ = true;
    preview_->setStyleSheet(QString("color: %1; font-size: 13px;").arg(look().ink.name()));
}

void LineBar::enter() {
    const auto text = edit_->text().trimmed();
    if (popup_->isVisible() && popup_->currentRow() >= 0)
        return take(popup_->currentRow());
    popup_->hide();
    if (text.isEmpty()) {
        emit finished();
        return;
    }
    told_.stop();
    if (takesLong(text.toStdString()) && text.startsWith("mend all", Qt::CaseInsensitive)) {
        // The steps are shown before they are taken.
        edit_->clear();
        emit mendWanted();
        return;
    }
    quiet_.stop();
    refresh();
    if (!session_.sayLine(text)) {
        // What was refused stays, with the caret at the word it couldn't take.
        const auto said = readSpoken(edit_->text().toStdString(), *session_.settledProject(),
                                     session_.listener());
        lookForWays();
        if (!said && said.problem().column > 0)
            edit_->setSelection(said.problem().column - 1, std::max(said.problem().width, 0));
        return;
    }
    history_.removeAll(text);
    history_ << text;
    recalled_ = history_.size();
    draft_.clear();
    edit_->clear();
    quiet_.stop(); // what is told stays
}

void LineBar::recall(int step) {
    if (history_.isEmpty())
        return;
    if (recalled_ == history_.size())
        draft_ = edit_->text();
    recalled_ = std::clamp<qsizetype>(recalled_ + step, 0, history_.size());
    edit_->setText(recalled_ == history_.size() ? draft_ : history_[recalled_]);
    popup_->hide();
    told_.stop();
    refresh();
}

bool LineBar::eventFilter(QObject* o, QEvent* e) {
    if (o != edit_)
        return QFrame::eventFilter(o, e);
    if (e->type() == QEvent::FocusOut) {
        popup_->hide();
        update();
    } else if (e->type() == QEvent::FocusIn) {
        update();
    } else if (e->type() == QEvent::KeyPress) {
        auto* k = static_cast<QKeyEvent*>(e);
        const bool open = popup_->isVisible();
        switch (k->key()) {
        case Qt::Key_Down:
            if (open && popup_->currentRow() >= 0)
                popup_->setCurrentRow((popup_->currentRow() + 1) % popup_->count());
            else
                recall(1);
            return true;
        case Qt::Key_Up:
            if (open && popup_->currentRow() >= 0)
                popup_->setCurrentRow((popup_->currentRow() + popup_->count() - 1) %
                                      popup_->count());
            else
                recall(-1);
            return true;
        case Qt::Key_Tab:
            if (open) {
                // Tab goes into the list, takes the only one, or walks it.
                if (popup_->count() == 1)
                    take(0);
                else
                    popup_->setCurrentRow((popup_->currentRow() + 1) % popup_->count());
                return true;
            }
            break;
        case Qt::Key_Escape:
            if (open) {
                popup_->hide();
            } else if (!edit_->text().isEmpty()) {
                // It is called back with the key up.
                if (const auto text = edit_->text().trimmed(); !text.isEmpty()) {
                    history_.removeAll(text);
                    history_ << text;
                    recalled_ = history_.size();
                }
                edit_->clear();
                refresh();
            } else {
                emit finished();
            }
            return true;
        default:
            break;
        }
    }
    return QFrame::eventFilter(o, e);
}

void LineBar::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const bool here = edit_->hasFocus();
    p.setPen(QPen(here ? look().chosen : look().ink, here ? 2 : 1.4));
    p.setBrush(look().field);
    p.drawRoundedRect(QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5), 14, 14);
}

} // namespace mezzet::app
