#include "app/panels/scheme_strip.h"
#include "app/look/tr.h"

#include "app/look/style.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>

#include <algorithm>

namespace mezzet::app {

namespace {

/// Whether anything stands elsewhere for guests.
bool arrangedForGuests(const Scheme& s) {
    return s.arrangement == Arrangement::guests || !s.away.empty() ||
           std::any_of(s.pieces.begin(), s.pieces.end(),
                       [](const Piece& p) { return p.otherwise.has_value() || p.onlyHere; });
}

constexpr std::size_t most = 9; ///< tabs; the rest are gone to by the line

/// One scheme: its number and name, and what it has to mend.
class SchemeTab : public QPushButton {
public:
    SchemeTab(const QString& name, std::optional<int> mend, bool here, QWidget* parent = nullptr)
        : QPushButton(parent), name_(name), here_(here) {
        setFixedHeight(34);
        setCheckable(false);
        const auto told = !mend        ? tr("judging …")
                          : *mend == 0 ? tr("nothing to mend")
                                       : tr("%1 to mend").arg(*mend);
        note_ = told;
        setAccessibleName(name + ", " + told + (here ? tr(", open") : ""));
        const QFontMetrics bold(sheets::sans(14, QFont::DemiBold));
        const QFontMetrics plain(sheets::sans(13));
        // It gives way when the window is narrow: the name is cut, and the figure left.
        wide_ = std::min(310, bold.horizontalAdvance(name_) + plain.horizontalAdvance(note_) + 44);
        setMinimumWidth(std::min(wide_, plain.horizontalAdvance(note_) + 76));
        setMaximumWidth(wide_);
        setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    }
    QSize sizeHint() const override { return {wide_, 34}; }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        const QRectF r = QRectF(rect()).adjusted(1, 1, -1, -1);
        p.setPen(QPen(hasFocus() ? look().chosen
                      : here_    ? look().ink
                                 : look().panelEdge,
                      here_ || hasFocus() ? 1.8 : 1.2));
        p.setBrush(here_ ? look().field : QColor(Qt::transparent));
        p.drawRoundedRect(r, 5, 5);
        p.setFont(sheets::sans(13));
        const double w = p.fontMetrics().horizontalAdvance(note_);
        p.setPen(look().soft);
        p.drawText(r.adjusted(0, 0, -12, 0), Qt::AlignRight | Qt::AlignVCenter, note_);
        p.setFont(sheets::sans(14, here_ ? QFont::DemiBold : QFont::Normal));
        p.setPen(look().ink);
        p.drawText(r.adjusted(12, 0, -w - 20, 0), Qt::AlignLeft | Qt::AlignVCenter,
                   p.fontMetrics().elidedText(name_, Qt::ElideRight,
                                              static_cast<int>(r.width() - w - 32)));
    }

private:
    QString name_;
    QString note_;
    int wide_ = 0;
    bool here_;
};

} // namespace

SchemeStrip::SchemeStrip(JobSession& session, QWidget* parent)
    : QWidget(parent), session_(session) {
    setObjectName("schemes");
    setFixedHeight(46);
    row_ = new QHBoxLayout(this);
    row_->setContentsMargins(12, 5, 12, 6);
    row_->setSpacing(8);
    state_ = new QPushButton;
    state_->setProperty("plain", true);
    state_->setAccessibleName(tr("Scale, units and school"));
    row_->addStretch(1);
    row_->addWidget(state_);
    connect(&session, &JobSession::jobChanged, this, [this] {
        // While something is dragged its count follows at a calmer pace.
        if (session_.inTrial())
            return pace_.want();
        pace_.drop();
        rebuild();
    });
    rebuild();
}

void SchemeStrip::setZoom(const QString& words) {
    zoom_ = words;
    const auto& job = *session_.project();
    const auto* school = job.library.book->schoolById(job.judgement.school);
    auto tape = QString::fromUtf8(unitsName(job.notation.units).data());
    if (!isMetric(job.notation.units))
        tape = QString("%1, 1/%2")
                   .arg(job.notation.units == Units::inches ? "inches" : tr("feet, inches"))
                   .arg(job.notation.denominator);
    state_->setText(
        QString("%1   %2   %3").arg(zoom_, tape, QString::fromStdString(school->title).toLower()));
    state_->setToolTip(tr("The board's scale, the tape's division, and the school that judges"));
}

void SchemeStrip::rebuild() {
    const auto& job = *session_.project();
    QStringList says{QString::number(job.active), look().night ? "night" : "day",
                     arrangedForGuests(job.scheme()) ? "guests" : "",
                     job.scheme().arrangement == Arrangement::guests ? "now" : ""};
    const auto here = job.schemesHere();
    for (std::size_t k = 0; k < here.size() && k < most; ++k) {
        const auto i = here[k];
        says << QString::fromStdString(job.schemes[i]->name)
             << QString::number(session_.toMendIn(i).value_or(-1));
    }
    setZoom(zoom_);
    if (says == shown_)
        return;
    shown_ = says;
    // Not at once: one of its buttons may be in the middle of its click.
    if (schemes_ != nullptr) {
        schemes_->hide();
        schemes_->deleteLater();
    }
    schemes_ = new QWidget;
    auto* row = new QHBoxLayout(schemes_);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(8);
    for (std::size_t k = 0; k < here.size() && k < most; ++k) {
        const auto i = here[k];
        auto* tab = new SchemeTab(
            QString("%1  %2").arg(k + 1).arg(QString::fromStdString(job.schemes[i]->name)),
            session_.toMendIn(i), i == job.active);
        tab->setToolTip(i == job.active ? tr("Rename this scheme") : tr("Go to this scheme"));
        connect(tab, &QPushButton::clicked, this, [this, i] {
            if (i == session_.project()->active)
                emit renameWanted();
            else
                session_.apply({inOwnWords("go to scheme"), {SwitchScheme{i}}, {}});
        });
        row->addWidget(tab);
    }
    auto* add = new QPushButton(tr("+ scheme"));
    add->setProperty("plain", true);
    add->setToolTip(tr("A copy of this scheme, to try something else"));
    connect(add, &QPushButton::clicked, this, [this] {
        session_.apply({inOwnWords("new scheme"), {AddScheme{}}, {}});
    });
    row->addWidget(add);
    if (here.size() > 1) {
        auto* beside = new QPushButton(tr("Lay side by side"));
        beside->setProperty("plain", true);
        connect(beside, &QPushButton::clicked, this, &SchemeStrip::besidesWanted);
        row->addWidget(beside);
    }
    // Only where pieces move for guests, or it is being arranged for them, is there a switch.
    const bool guests = job.scheme().arrangement == Arrangement::guests;
    if (arrangedForGuests(job.scheme())) {
        auto* sw = new QPushButton(guests ? tr("For guests") : tr("Every day"));
        sw->setObjectName("arrangement");
        sw->setCheckable(true);
        sw->setChecked(guests);
        sw->setToolTip(guests ? tr("Back to every day") : tr("Show it arranged for guests"));
        connect(sw, &QPushButton::clicked, this, [this, guests] {
            emit arrangementWanted(guests ? Arrangement::day : Arrangement::guests);
        });
        row->addWidget(sw);
    }
    row_->insertWidget(0, schemes_);
}

} // namespace mezzet::app
