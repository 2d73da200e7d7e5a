#include "app/dialogs/compare_view.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "sheets/drawing.h"

#include <QCheckBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

constexpr std::size_t most = 3;

/// One scheme's plan; pieces that differ from the first have a heavy outline.
class SchemePlan : public QWidget {
public:
    SchemePlan(const SchemeSummary& s, std::vector<int> differs, Notation n)
        : scene_(s.scene), readings_(s.readings), differs_(std::move(differs)), notation_(n) {
        setMinimumHeight(280);
        setAccessibleName(tr("Plan of ") + QString::fromStdString(s.name));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.fillRect(rect(), look().board);
        const Room& room = *scene_->room;
        const Box b = room.bounds();
        const Vec2 size = b.size();
        const double margin = 22;
        const double scale = std::min((width() - 2 * margin) / std::max(size.x, 1.0),
                                      (height() - 2 * margin) / std::max(size.y, 1.0));
        const QPointF origin =
            QPointF(width() / 2.0, height() / 2.0) - QPointF(b.centre().x, b.centre().y) * scale;
        sheets::Labels labels{QRectF(rect())};
        const sheets::Drawing d{p, look(), origin, scale, 1, notation_, &labels};
        if (room.closed) {
            p.setPen(Qt::NoPen);
            p.setBrush(look().floor);
            p.drawPolygon(d.polygon(room.edge));
        }
        sheets::drawRoom(d, room);
        sheets::drawPieces(d, *scene_);
        sheets::namePieces(d, *scene_, {11, false});
        for (const int id : differs_) {
            const Placed* where = scene_->inPlan(id);
            if (where == nullptr)
                continue;
            p.setPen(QPen(look().loose, 2.6));
            p.setBrush(Qt::NoBrush);
            p.drawPolygon(d.polygon(outline(where->shape, Length::millimetres(0.5 / scale))));
        }
        for (const Reading& r : readings_)
            if (r.seenOn(theFloor()) && r.toMend())
                sheets::drawReadingStretch(d, r, false);
        labels.place();
        labels.draw(p);
    }

private:
    ScenePtr scene_;
    std::vector<Reading> readings_;
    std::vector<int> differs_;
    Notation notation_;
};

QLabel* wrapped(const QString& text, const char* property = nullptr) {
    auto* l = new QLabel(text);
    l->setWordWrap(true);
    if (property != nullptr)
        l->setProperty(property, true);
    return l;
}

} // namespace

CompareView::CompareView(JobSession& session, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("compare");
    setWindowTitle(tr("Schemes side by side"));
    openAt(*this, {1240, 780});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(10);
    auto* top = new QHBoxLayout;
    top->setSpacing(14);
    top->addWidget(wrapped(tr("Show")));
    here_ = session.project()->schemesHere();
    for (std::size_t k = 0; k < here_.size(); ++k) {
        auto* box =
            new QCheckBox(QString::fromStdString(session.project()->schemes[here_[k]]->name));
        box->setChecked(k < most);
        choose_.push_back(box);
        top->addWidget(box);
        connect(box, &QCheckBox::toggled, this, [this, box](bool on) {
            const auto chosen = std::count_if(choose_.begin(), choose_.end(),
                                              [](QCheckBox* b) { return b->isChecked(); });
            if (on && chosen > static_cast<int>(most)) {
                // The fourth takes the place of the last one shown.
                for (auto it = choose_.rbegin(); it != choose_.rend(); ++it)
                    if (*it != box && (*it)->isChecked()) {
                        (*it)->setChecked(false);
                        break;
                    }
            }
            rebuild();
        });
    }
    top->addStretch(1);
    auto* say = new QLabel(tr("Outlined: what differs from the first."));
    say->setProperty("quiet", true);
    top->addWidget(say);
    whole->addLayout(top);
    columns_ = new QHBoxLayout;
    columns_->setSpacing(14);
    whole->addLayout(columns_, 1);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    auto* close = new QPushButton(tr("Close"));
    close->setDefault(true);
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    foot->addWidget(close);
    whole->addLayout(foot);
    rebuild();
}

void CompareView::show(const std::vector<std::size_t>& indices) {
    for (std::size_t k = 0; k < here_.size(); ++k) {
        const QSignalBlocker quiet(choose_[k]);
        choose_[k]->setChecked(std::find(indices.begin(), indices.end(), here_[k]) !=
                               indices.end());
    }
    rebuild();
}

void CompareView::rebuild() {
    for (auto* w : built_)
        delete w;
    built_.clear();
    shown_.clear();
    const Project& job = *session_.project();
    for (std::size_t k = 0; k < here_.size() && shown_.size() < most; ++k) {
        if (!choose_[k]->isChecked())
            continue;
        if (auto s = summaryOf(job, here_[k]))
            shown_.push_back(std::move(*s));
    }
    for (std::size_t c = 0; c < shown_.size(); ++c) {
        const SchemeSummary& s = shown_[c];
        auto* column = new QWidget;
        auto* rows = new QVBoxLayout(column);
        rows->setContentsMargins(0, 0, 0, 0);
        rows->setSpacing(6);
        auto* head = new QHBoxLayout;
        auto* name = new QLabel(QString::fromStdString(s.name));
        name->setProperty("heading", true);
        head->addWidget(name, 1);
        if (s.index != job.active) {
            auto* go = new QPushButton(tr("Go to it"));
            go->setAutoDefault(false);
            connect(go, &QPushButton::clicked, this, [this, i = s.index] {
                session_.apply({inOwnWords("go to scheme"), {SwitchScheme{i}}, {}});
                accept();
            });
            head->addWidget(go);
        } else {
            head->addWidget(wrapped(tr("open now"), "quiet"));
        }
        auto* heading = new QWidget;
        heading->setLayout(head);
        heading->setFixedHeight(36);
        head->setContentsMargins(0, 0, 0, 0);
        rows->addWidget(heading);
        const auto differences =
            c == 0 ? std::vector<PieceDifference>{} : differencesBetween(job, shown_.front(), s);
        std::vector<int> marked;
        for (const auto& d : differences)
            if (d.second != 0)
                marked.push_back(d.second);
        rows->addWidget(new SchemePlan(s, marked, job.notation), 3);
        auto* facts = new QGridLayout;
        facts->setHorizontalSpacing(10);
        facts->setVerticalSpacing(2);
        int row = 0;
        const auto fact = [&](const QString& what, const QString& value, bool trouble = false) {
            auto* w = wrapped(what, "quiet");
            auto* v = new QLabel(value);
            v->setFont(sheets::lettering(15));
            v->setStyleSheet(QString("font-family: 'Routed Gothic'; font-size: 15px; color: %1;")
                                 .arg((trouble ? look().tight : look().ink).name()));
            facts->addWidget(w, row, 0);
            facts->addWidget(v, row++, 1, Qt::AlignRight);
        };
        fact(tr("To mend"), QString::number(s.toMend), s.toMend > 0);
        fact(tr("Seats, and for guests"), QString("%1, %2").arg(s.seats).arg(s.seatsForGuests));
        fact(tr("Way through"), s.narrowest
                                    ? QString::fromStdString(writeGap(*s.narrowest, job.notation))
                                    : QString("wide"));
        fact(tr("Floor taken"), QString("%1 %").arg(std::lround(s.floorTaken * 100)));
        fact(tr("Cost"),
             s.cost ? QString::fromStdString(writeCost(*s.cost)) +
                          tr(", %1 of %2 priced").arg(s.priced).arg(s.scene->scheme->pieces.size())
                    : tr("not known"));
        rows->addLayout(facts);
        auto* scroll = new QScrollArea;
        scroll->setWidgetResizable(true);
        scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        auto* lists = new QWidget;
        auto* in = new QVBoxLayout(lists);
        in->setContentsMargins(0, 0, 6, 0);
        in->setSpacing(4);
        if (!s.note.empty()) {
            in->addWidget(wrapped(tr("Why"), "quiet"));
            in->addWidget(wrapped(QString::fromStdString(s.note)));
        }
        for (const Piece& p : s.scene->scheme->pieces)
            if (!p.reason.empty())
                in->addWidget(wrapped(QString::fromStdString(p.name + ": " + p.reason)));
        if (!differences.empty()) {
            in->addWidget(wrapped(tr("What differs"), "quiet"));
            for (const auto& d : differences)
                in->addWidget(wrapped(QString::fromStdString(d.name + ": " + d.words)));
        }
        const auto mend = toMendByWeight(s.readings);
        if (!mend.empty())
            in->addWidget(wrapped(tr("To mend, weightiest first"), "quiet"));
        const Wording say{*s.scene->room, *s.scene->scheme, job.notation};
        for (const Reading* r : mend)
            in->addWidget(wrapped(QString::fromStdString(sentenceOf(*r, say))));
        in->addStretch(1);
        scroll->setWidget(lists);
        rows->addWidget(scroll, 2);
        columns_->addWidget(column, 1);
        built_.push_back(column);
    }
    if (shown_.size() < 2) {
        auto* one =
            wrapped(here_.size() < 2 ? tr("There is one scheme. “+ scheme” makes another to lay "
                                          "beside it.")
                                     : tr("Choose another scheme to lay beside it."),
                    "quiet");
        one->setAlignment(Qt::AlignCenter);
        columns_->addWidget(one, 1);
        built_.push_back(one);
    }
}

} // namespace mezzet::app
