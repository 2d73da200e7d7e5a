#include "app/panels/reading_card.h"
#include "app/look/tr.h"

#include "app/look/ask.h"
#include "app/look/style.h"
#include "judge/accept.h"
#include "measure/text.h"
#include "sheets/drawing.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

/// The verdict's mark beside the figure.
class Mark : public QWidget {
public:
    Mark(Verdict v, QWidget* parent = nullptr) : QWidget(parent), verdict_(v) {
        setFixedSize(26, 20);
        show(v);
    }
    using QWidget::show;
    void show(Verdict v) {
        verdict_ = v;
        setAccessibleName(tr(verdictName(v).data()));
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        sheets::drawVerdict(p, QRectF(4, 5, 19, 10), verdict_, look().of(verdict_));
    }

private:
    Verdict verdict_;
};

/// A button's words broken between words, so that none is cut.
QString inLines(const QString& text, const QFontMetrics& m, int width) {
    QString out;
    QString line;
    for (const QString& word : text.split(' ', Qt::SkipEmptyParts)) {
        const QString longer = line.isEmpty() ? word : line + " " + word;
        if (!line.isEmpty() && m.horizontalAdvance(longer) > width) {
            out += line + "\n";
            line = word;
        } else {
            line = longer;
        }
    }
    return out + line;
}

/// "Supper chair 1, Coat stand": what sentences of the form "piece: why" are about.
QString subjects(const std::vector<std::string>& sentences) {
    QStringList out;
    for (const auto& s : sentences)
        if (const auto who = QString::fromStdString(s.substr(0, s.find(':'))); !out.contains(who))
            out << who;
    return out.join(", ");
}

} // namespace

ReadingCard::ReadingCard(JobSession& session, std::size_t reading, bool withPiece, QWidget* parent)
    : QFrame(parent), session_(session), index_(reading), withPiece_(withPiece) {
    setObjectName("reading");
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 8);
    column->setSpacing(2);
    heading_ = new QLabel;
    heading_->setWordWrap(true);
    menu_ = new QPushButton("…");
    menu_->setObjectName("readingMenu");
    menu_->setProperty("plain", true);
    menu_->setFixedSize(26, 22);
    menu_->setToolTip(tr("Accept it as it is, or give this job a band of its own"));
    connect(menu_, &QPushButton::clicked, this, &ReadingCard::showMenu);
    auto* top = new QHBoxLayout;
    top->setSpacing(2);
    top->addWidget(heading_, 1);
    top->addWidget(menu_, 0, Qt::AlignTop);
    column->addLayout(top);
    strip_ = new TapeStrip;
    connect(strip_, &TapeStrip::bandWanted, this, &ReadingCard::setBand);
    column->addWidget(strip_);
    auto* row = new QHBoxLayout;
    row->setSpacing(4);
    figure_ = new QLineEdit;
    figure_->setProperty("figure", true);
    figure_->setFixedWidth(isMetric(session.wording().notation.units) ? 84 : 74);
    figure_->setToolTip(
        tr("Type another figure and press Enter: the piece moves, or is made that size"));
    why_ = new QLabel;
    why_->setWordWrap(true);
    why_->setProperty("small", true);
    auto* mark = new Mark(Verdict::note);
    mark_ = mark;
    row->addWidget(figure_, 0, Qt::AlignTop);
    row->addWidget(mark, 0, Qt::AlignTop);
    row->addWidget(why_, 1);
    column->addLayout(row);
    tell();
    remedy_ = new QPushButton;
    remedy_->setObjectName("remedy");
    remedy_->setProperty("act", true);
    remedy_->hide();
    upsets_ = new QLabel;
    upsets_->setWordWrap(true);
    upsets_->setProperty("quiet", true);
    upsets_->hide();
    more_ = new QPushButton;
    more_->setObjectName("more");
    more_->setProperty("plain", true);
    more_->setSizePolicy(QSizePolicy::Maximum, QSizePolicy::Fixed);
    more_->hide();
    connect(more_, &QPushButton::clicked, this, [this] {
        const bool brief = upsets_->text() == brief_;
        upsets_->setText(brief ? whole_ : brief_);
        more_->setText(brief ? tr("Tell less") : tr("Tell all of it"));
        fitTo(width());
    });
    column->addWidget(remedy_);
    column->addWidget(upsets_);
    column->addWidget(more_);
    connect(figure_, &QLineEdit::returnPressed, this, &ReadingCard::typed);
    connect(remedy_, &QPushButton::clicked, this, [this] {
        if (!stillThere())
            return;
        if (const auto& remedy = session_.remedyOf(index_)) {
            const Edit edit = remedy->edit; // the remedy goes when the job changes
            session_.apply(edit);
        }
    });
}

void ReadingCard::tell() {
    const Reading& r = session_.readings()[index_];
    const Wording say = session_.wording();
    const auto title =
        QString::fromStdString(withPiece_ ? titleWithSubject(r, say) : titleOf(r, say));
    // Only what changed is set: each setting lays the card out anew.
    if (heading_->text() != title)
        heading_->setText(title);
    strip_->show(r, say.notation);
    const auto figure = QString::fromStdString(words(r.value, say.notation));
    if (figure_->text() != figure)
        figure_->setText(figure);
    if (!told_ || told_->verdict != r.verdict) {
        figure_->setStyleSheet(QString("color: %1;").arg(look().of(r.verdict).name()));
        static_cast<Mark*>(mark_)->show(r.verdict);
    }
    auto why = QString::fromStdString(whyOf(r, say));
    if (r.accepted)
        why += "\nAccepted: " +
               QString::fromStdString(std::string(whyAccepted(r, session_.project()->scheme())));
    menu_->setAccessibleName(tr("More about ") + title);
    if (why_->text() != why)
        why_->setText(why);
    figure_->setAccessibleName(title);
    figure_->setAccessibleDescription(
        QString("%1: %2").arg(tr(verdictName(r.verdict).data()), why));
    told_ = r;
}

bool ReadingCard::stillThere() const {
    const auto& all = session_.readings();
    return told_ && index_ < all.size() && all[index_].sameAs(*told_);
}

bool ReadingCard::follow() {
    const auto& all = session_.readings();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all[i].sameAs(*told_)) {
            index_ = i;
            tell();
            // What mends it is found when the hand lets go.
            remedy_->hide();
            upsets_->hide();
            more_->hide();
            return true;
        }
    return false;
}

void ReadingCard::fitTo(int width) {
    constexpr int mark = 26 + 2 * 4;
    why_->setMinimumHeight(why_->heightForWidth(std::max(60, width - figure_->width() - mark)));
    if (!upsets_->isHidden())
        upsets_->setMinimumHeight(upsets_->heightForWidth(width));
}

void ReadingCard::showRemedy() {
    if (!stillThere())
        return;
    const auto& remedy = session_.remedyOf(index_);
    if (!remedy)
        return;
    // The preview tells what happens; the button says to do it.
    auto text = QString::fromStdString(remedy->preview.substr(0, remedy->preview.find(';')));
    if (remedy->moves > 1)
        text = QString::fromStdString(remedy->preview);
    for (const QString& told : {tr("Moves "), tr("Makes "), tr("Turns ")})
        if (text.startsWith(told))
            text.remove(4, 1);
    remedy_->setToolTip(QString::fromStdString(remedy->line));
    remedy_->setText(plainButton(inLines(text, remedy_->fontMetrics(), 208)));
    if (remedy->moves > 1)
        remedy_->setToolTip(text);
    remedy_->setAccessibleName(tr("Mend it: ") + text);
    remedy_->show();
    if (!remedy->upsets.empty() || !remedy->mends.empty()) {
        // What it would make better and worse, before it is taken: whom in a line, all on asking.
        QStringList brief;
        if (!remedy->mends.empty())
            brief << tr("Mends too: ") + subjects(remedy->mends);
        if (!remedy->upsets.empty())
            brief << tr("But then: ") + subjects(remedy->upsets);
        QStringList whole;
        for (const auto& m : remedy->mends)
            whole << tr("Mends too: ") + QString::fromStdString(m);
        for (const auto& u : remedy->upsets)
            whole << tr("But then ") + QString::fromStdString(u);
        brief_ = brief.join("\n");
        whole_ = whole.join("\n");
        more_->setText(tr("Tell all of it"));
        more_->show();
        upsets_->setText(brief_);
        upsets_->show();
        upsets_->setMinimumHeight(upsets_->heightForWidth(width() > 120 ? width() : 240));
    }
}

void ReadingCard::showMenu() {
    if (!stillThere())
        return;
    const Reading& r = session_.readings()[index_];
    QMenu menu;
    if (canBeAccepted(r) && !r.accepted)
        menu.addAction(tr("Accept it as it is …"), this, &ReadingCard::accept)
            ->setObjectName("accept");
    if (r.accepted)
        menu.addAction(tr("Judge it again"), this, [this] {
            const Reading& now = session_.readings()[index_];
            session_.apply(judgingAgain({&now}, session_.project()->scheme(), session_.wording()));
        });
    menu.addAction(tr("A band of this job's own …"), this, &ReadingCard::ownBand);
    const auto& choices = session_.project()->judgement.choices;
    if (const auto it = choices.find(r.rule->id); it != choices.end() && it->second.band)
        menu.addAction(tr("The school's band again"), this, [this] {
            const auto id = session_.readings()[index_].rule->id;
            session_.apply({inOwnWords("judge ") + id + inOwnWords(" as the school"),
                            {SetSchool{{}, id, true}},
                            {}});
        });
    menu.exec(menu_->mapToGlobal(QPoint(0, menu_->height())));
}

void ReadingCard::accept() {
    const Reading r = session_.readings()[index_];
    const auto title = QString::fromStdString(titleWithSubject(r, session_.wording()));
    const auto told =
        askText(this, {tr("Accept it as it is"),
                       title + tr("\nWhy is it left so? The reason is printed with the plan."),
                       tr("Accept it")});
    if (!told)
        return;
    const auto reason = told->trimmed();
    if (reason.isEmpty()) {
        emit session_.told("It is accepted with a reason only: say why it is left so", true);
        return;
    }
    // What was read may have changed while the question stood.
    if (stillThere() || follow())
        session_.apply(accepting({&session_.readings()[index_]}, reason.toStdString(),
                                 session_.project()->scheme(), session_.wording()));
}

void ReadingCard::ownBand() {
    const Reading r = session_.readings()[index_];
    const Notation n = session_.wording().notation;
    const auto told = [&](double v) {
        return QString::fromStdString(words(Amount{r.value.quantity, v}, n));
    };
    QString band;
    if (r.band.low && r.band.high)
        band = told(*r.band.low) + " to " + told(*r.band.high);
    else if (r.band.low)
        band = tr("at least ") + told(*r.band.low);
    else if (r.band.high)
        band = tr("at most ") + told(*r.band.high);
    const auto said = askText(this,
                              {tr("A band of this job's own"),
                               QString::fromStdString(titleOf(r, session_.wording())) +
                                   tr("\nFrom what to what is it right here?"),
                               tr("Take this band")},
                              band)
                          .value_or(QString())
                          .trimmed();
    if (!said.isEmpty())
        session_.sayLine(QString("band %1 %2").arg(QString::fromStdString(r.rule->id), said));
}

void ReadingCard::setBand(const Band& band) {
    if (!stillThere())
        return;
    const Reading& r = session_.readings()[index_];
    session_.apply({inOwnWords("own band for ") + smallFirst(titleOf(r, session_.wording())),
                    {SetBand{r.rule->id, band}},
                    {}});
}

void ReadingCard::typed() {
    if (!stillThere() && !follow())
        return;
    const Reading r = session_.readings()[index_];
    const Notation n = session_.project()->notation;
    const auto text = figure_->text().trimmed();
    double value = 0;
    if (r.value.quantity == Quantity::length) {
        const auto l = readLength(text.toStdString(),
                                  n.units == Units::feetAndInches ? Units::inches : n.units);
        if (!l) {
            emit session_.told(QString::fromStdString(l.problem().sentence()), true);
            figure_->selectAll();
            return;
        }
        value = l->mm();
    } else {
        bool ok = false;
        value = QString(text).remove('%').trimmed().toDouble(&ok);
        if (!ok) {
            emit session_.told("Type a figure, like 66 %", true);
            figure_->selectAll();
            return;
        }
        if (r.value.quantity == Quantity::ratio && (text.contains('%') || value > 3))
            value /= 100;
    }
    auto brought = bringTo(r, value, *session_.project(), *session_.scene(), session_.readings());
    if (!brought) {
        emit session_.told(QString::fromStdString(brought.problem().sentence()), true);
        figure_->setText(QString::fromStdString(words(r.value, n)));
        figure_->selectAll();
        return;
    }
    const auto preview = QString::fromStdString(brought->preview);
    auto* session = &session_;
    if (session->apply(brought->edit)) // the card is gone after this
        emit session->told(preview, false);
}

} // namespace mezzet::app
