#include "app/panels/tape_panel.h"
#include "app/look/tr.h"
#include "app/look/widgets.h"

#include "app/look/style.h"
#include "edit/language.h"
#include "judge/on_walls.h"
#include "judge/zones.h"
#include "measure/texts.h"
#include "room/facts.h"
#include "sheets/drawing.h"
#include "sheets/wall_sheets.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

QLabel* quietLabel(const QString& text) {
    auto* l = new QLabel(text);
    l->setProperty("quiet", true);
    l->setWordWrap(true);
    return l;
}

/// How many cards are worth building: past that one reads the list on the sheet.
constexpr int mostCards = 40;

} // namespace

TapePanel::TapePanel(JobSession& session, QWidget* parent)
    : QScrollArea(parent), session_(session) {
    setObjectName("tape");
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setAccessibleName(tr("Tape"));
    later_.setSingleShot(true);
    later_.setInterval(0);
    idle_.setSingleShot(true);
    idle_.setInterval(0);
    connect(&later_, &QTimer::timeout, this, &TapePanel::rebuild);
    connect(&idle_, &QTimer::timeout, this, &TapePanel::findRemedies);
    connect(&session, &JobSession::remedyFound, this, [this](std::size_t reading) {
        for (auto* c : cards_)
            if (c->reading() == reading)
                c->showRemedy();
        if (takeWhenFound_)
            takeFirstRemedy();
    });
    connect(&session, &JobSession::jobChanged, this, &TapePanel::wanted);
    connect(&session, &JobSession::selectionChanged, this, &TapePanel::wanted);
    connect(&session, &JobSession::surfaceChanged, this, &TapePanel::wanted);
    rebuild();
}

void TapePanel::wanted() {
    takeWhenFound_ = false;
    // While something is dragged, cards follow their readings; new ones come at a calmer pace.
    if (session_.inTrial() && selectionShown_ == session_.selected())
        return follow_.want();
    follow_.drop();
    later_.start(0);
}

void TapePanel::followCards() {
    if (!session_.inTrial() || selectionShown_ != session_.selected())
        return;
    bool all = true;
    for (auto* c : cards_) {
        const bool there = c->follow();
        c->setVisible(there);
        all = all && there;
    }
    const auto& chosen = session_.selected();
    const auto shown = std::count_if(
        session_.readings().begin(), session_.readings().end(), [&](const Reading& r) {
            if (chosen.empty())
                return r.toMend();
            return r.verdict != Verdict::note &&
                   std::any_of(chosen.begin(), chosen.end(), [&](int id) { return r.isAbout(id); });
        });
    if (all &&
        std::min<std::ptrdiff_t>(shown, mostCards) == static_cast<std::ptrdiff_t>(cards_.size()))
        return;
    // New cards are made where the hand rests, or when they have been wanted for long.
    constexpr int rests = 150; // ms
    constexpr int atLeast = 1000;
    if (!later_.isActive())
        cardsWanted_.start();
    later_.start(
        std::min<int>(rests, std::max<int>(atLeast - static_cast<int>(cardsWanted_.elapsed()), 0)));
}

void TapePanel::resizeEvent(QResizeEvent* e) {
    QScrollArea::resizeEvent(e);
    if (body_ != nullptr)
        body_->setMaximumWidth(viewport()->width());
    for (auto* c : cards_)
        c->fitTo(viewport()->width() - 28);
}

void TapePanel::addTies(QVBoxLayout* column, const Piece& p) {
    column->addWidget(quietLabel(tr("Ties")));
    if (p.locked)
        column->addWidget(quietLabel(tr("Locked where it is.")));
    const Wording say = session_.wording();
    for (std::size_t i = 0; i < p.ties.size(); ++i) {
        auto text = QString::fromStdString(words(p.ties[i], say));
        auto* chip = new QPushButton(plainButton(text) + "   ×");
        chip->setObjectName("tie");
        chip->setToolTip(tr("Let go of this tie"));
        chip->setAccessibleName(tr("Tie: ") + text + tr(". Press to let go of it."));
        chip->setSizePolicy(QSizePolicy::Maximum, QSizePolicy::Fixed);
        chip->setStyleSheet(
            "border-radius: 12px; padding: 2px 12px; min-height: 20px; font-size: 13px;");
        connect(chip, &QPushButton::clicked, this, [this, id = p.id, i, text] {
            const Piece* now = session_.project()->scheme().byId(id);
            if (now == nullptr || i >= now->ties.size())
                return;
            Piece changed = *now;
            changed.ties.erase(changed.ties.begin() + static_cast<std::ptrdiff_t>(i));
            Edit e;
            e.words = inOwnWords("let go of “") + text.toStdString() + "”";
            e.acts.emplace_back(PutPiece{changed});
            session_.apply(e);
        });
        column->addWidget(chip);
    }
    if (p.ties.empty() && !p.locked)
        column->addWidget(quietLabel(tr("None: it stays where it is put.")));
    if (!p.kind->caution.empty()) {
        auto* caution = quietLabel(tr("Caution. ") + QString::fromStdString(p.kind->caution));
        caution->setObjectName("caution");
        column->addWidget(caution);
    }
}

/// What is for information is told in words, without a tape.
void TapePanel::addNotes(QVBoxLayout* column, const std::vector<std::size_t>& readings,
                         bool withPiece) {
    if (readings.empty())
        return;
    column->addSpacing(6);
    column->addWidget(quietLabel(tr("For information")));
    const Wording say = session_.wording();
    for (const std::size_t i : readings) {
        const Reading& r = session_.readings()[i];
        const auto title = QString::fromStdString(
            withPiece && r.piece != 0 ? titleWithSubject(r, say) : titleOf(r, say));
        auto* label = new QLabel(
            QString("<b>%1</b>, %2. %3")
                .arg(title.toHtmlEscaped(),
                     QString::fromStdString(words(r.value, say.notation)).toHtmlEscaped(),
                     QString::fromStdString(whyOf(r, say)).toHtmlEscaped()));
        label->setTextFormat(Qt::RichText);
        label->setObjectName("note");
        label->setWordWrap(true);
        label->setProperty("small", true);
        column->addWidget(label);
    }
}

/// Zones and balance, while nothing is selected.
void TapePanel::addRoom(QVBoxLayout* column) {
    const Scene& scene = *session_.scene();
    const Notation n = session_.project()->notation;
    const auto zones = zonesOf(scene);
    if (!zones.zones.empty()) {
        column->addSpacing(6);
        column->addWidget(quietLabel(tr("Zones")));
        for (const auto& z : zones.zones) {
            QStringList held;
            for (const auto& h : z.heldBy)
                held << QString::fromStdString(h);
            auto* label = new QLabel(
                QString("<b>%1</b>, %2. %3")
                    .arg(QString::fromStdString(z.name).toHtmlEscaped(),
                         QString::fromStdString(writeArea(z.area, n.units)),
                         held.isEmpty()
                             ? tr("Nothing holds it: a rug, a sofa's back or a light would.")
                             : tr("Held by ") + held.join(", ").toHtmlEscaped() + "."));
            label->setTextFormat(Qt::RichText);
            label->setObjectName("zone");
            label->setWordWrap(true);
            label->setProperty("small", true);
            column->addWidget(label);
        }
    }
    if (scene.floor.placed.size() > 2) {
        const auto b = balanceOf(scene);
        const auto share = [](double v) {
            return QString::number(std::lround(v * 100)) + "\u00a0%";
        };
        column->addSpacing(6);
        column->addWidget(quietLabel(tr("Balance by quarter: footprint, and weight to the eye")));
        auto* label =
            new QLabel(tr("upper left %1, %2 · upper right %3, %4<br>lower left %5, %6 · "
                          "lower right %7, %8")
                           .arg(share(b.footprint[0]), share(b.weight[0]), share(b.footprint[1]),
                                share(b.weight[1]), share(b.footprint[3]), share(b.weight[3]),
                                share(b.footprint[2]), share(b.weight[2])));
        label->setTextFormat(Qt::RichText);
        label->setWordWrap(true);
        label->setProperty("small", true);
        column->addWidget(label);
    }
}

/// What was noted of a choice: why, and what it costs.
void TapePanel::addChoice(QVBoxLayout* column, const Piece& p) {
    column->addWidget(quietLabel(tr("Why this one, and what it costs")));
    auto* row = new QHBoxLayout;
    row->setSpacing(6);
    auto* why = new QLineEdit(QString::fromStdString(p.reason));
    why->setObjectName("reason");
    why->setPlaceholderText(tr("a reason, printed with the plan"));
    why->setAccessibleName(tr("Why ") + QString::fromStdString(p.name));
    auto* cost = new QLineEdit(p.cost ? QString::number(*p.cost, 'g', 10) : QString());
    cost->setObjectName("cost");
    cost->setPlaceholderText(tr("cost"));
    cost->setFixedWidth(72);
    cost->setAccessibleName(tr("Cost of ") + QString::fromStdString(p.name));
    row->addWidget(why, 1);
    row->addWidget(cost);
    column->addLayout(row);
    const auto keep = [this, id = p.id, why, cost] {
        const Piece* now = session_.settledProject()->scheme().byId(id);
        if (now == nullptr)
            return;
        Piece changed = *now;
        changed.pose = session_.settledScene()->byId(id)->pose;
        changed.reason = why->text().trimmed().toStdString();
        const auto text = cost->text().trimmed().remove(',');
        bool ok = text.isEmpty();
        const double price = text.isEmpty() ? 0 : text.toDouble(&ok);
        if (!ok || price < 0) {
            emit session_.told("Type what it costs as a bare number, like 1200", true);
            cost->selectAll();
            return;
        }
        changed.cost = text.isEmpty() ? std::nullopt : std::optional<double>(price);
        if (changed.reason == now->reason && changed.cost == now->cost)
            return;
        session_.apply({inOwnWords("note on ") + changed.name, {PutPiece{changed}}, {}});
    };
    connect(why, &QLineEdit::returnPressed, this, keep);
    connect(cost, &QLineEdit::returnPressed, this, keep);
}

/// Where its hooks go, or those of its group's pieces; with what to be careful of at that act.
void TapePanel::addHooks(QVBoxLayout* column, const Piece& p) {
    const Scene& scene = *session_.scene();
    const Notation n = session_.project()->notation;
    const auto rules = hookRules(*session_.project()->library.book);
    auto* rows = new QGridLayout;
    rows->setHorizontalSpacing(8);
    rows->setVerticalSpacing(2);
    QStringList cautions;
    int row = 0;
    for (const HangOf& h : hangAll(scene, rules, p.wall())) {
        const Piece& of = *scene.scheme->byId(h.piece);
        if (h.piece != p.id && of.group() != p.id)
            continue;
        if (h.piece == p.id) {
            std::string held;
            for (const auto& [m, word] : mountWords)
                if (m == h.mount)
                    held = word;
            if (h.wire)
                held += worded(", rings {} down, {} apart", writeGap(h.ringsDown, n),
                               writeGap(h.ringSpacing, n));
            if (h.mount != Mount::leaned)
                held += inOwnWords(", drop ") + sheets::hookWords(h.drop, n) +
                        (h.dropAssumed && !h.hooks.empty() ? inOwnWords(", assumed") : "");
            held += ", " + write(h.weight, n) + (h.estimated ? inOwnWords(", guessed") : "");
            if (h.load > Mass{})
                held += inOwnWords(", holds ") + write(h.load, n) +
                        (h.loadGuessed ? inOwnWords(", guessed") : "");
            column->addWidget(quietLabel(tr("Held: ") + QString::fromStdString(held)));
        }
        for (const HookPoint& k : h.hooks) {
            const std::string cells[] = {of.group() == p.id ? of.name : "",
                                         sheets::hookWords(k.along, n), sheets::hookWords(k.up, n),
                                         sheets::fixingWords(k, n) + (k.into == Fixing::plug
                                                                          ? ", " + write(k.rated, n)
                                                                          : std::string())};
            for (int i = 0; i < 4; ++i) {
                auto* cell = new QLabel(QString::fromStdString(cells[i]));
                cell->setStyleSheet(i == 0 ? QString("font-size: 12px;")
                                           : QString("font-family: 'Routed Gothic'; "
                                                     "font-size: 13px;"));
                cell->setAlignment((i == 1 || i == 2 ? Qt::AlignRight : Qt::AlignLeft) |
                                   Qt::AlignVCenter);
                rows->addWidget(cell, row, i);
            }
            ++row;
        }
        const QString unmeasured =
            tr("The drop is assumed: %1.").arg(QString::fromLatin1(measureTheDrop));
        if (h.dropAssumed && !h.hooks.empty() && !cautions.contains(unmeasured))
            cautions.prepend(unmeasured);
        for (const auto& c : h.cautions)
            if (const auto s = QString::fromStdString(c); !cautions.contains(s))
                cautions << s;
    }
    if (row == 0)
        return;
    column->addWidget(quietLabel(tr("Hooks, from the left corner and the floor")));
    rows->setColumnStretch(3, 1);
    column->addLayout(rows);
    for (const auto& c : cautions) {
        auto* label = new QLabel(c);
        label->setObjectName("caution");
        label->setWordWrap(true);
        label->setProperty("trouble", true);
        label->setStyleSheet("font-size: 12.5px;");
        column->addWidget(label);
    }
    column->addSpacing(4);
}

/// Several pieces at once: one size for all, and how they stand to each other.
void TapePanel::addSeveral(QVBoxLayout* column) {
    auto* size = new QLineEdit;
    size->setObjectName("sizeOfAll");
    size->setPlaceholderText(
        tr("one size for all of them, like ") +
        QString::fromStdString(exampleIn("18 x 20", session_.project()->notation.units)));
    size->setAccessibleName(tr("One size for all that is selected"));
    column->addWidget(size);
    connect(size, &QLineEdit::returnPressed, this, [this, size] {
        QStringList names;
        for (const int id : session_.selected())
            names << QString::fromStdString(session_.project()->scheme().byId(id)->name);
        session_.sayLine("size " + names.join(" and ") + " to " + size->text().trimmed());
    });
    auto* rows = new QGridLayout;
    rows->setSpacing(4);
    if (session_.surface().isWall()) {
        auto* group = new QPushButton(tr("Set out as one …"));
        group->setObjectName("setOut");
        connect(group, &QPushButton::clicked, this, [this] { emit actWanted("group"); });
        column->addWidget(group);
        column->addSpacing(6);
        return;
    }
    const std::pair<const char*, QString> acts[] = {{"alignBacks", tr("Backs in line")},
                                                    {"alignFronts", tr("Fronts in line")},
                                                    {"alignMiddles", tr("Middles in line")},
                                                    {"spread", tr("Spread evenly")},
                                                    {"zone", tr("Make a zone")},
                                                    {"lock", tr("Lock, or unlock")}};
    int i = 0;
    for (const auto& [name, text] : acts) {
        auto* b = new QPushButton(text);
        b->setStyleSheet("font-size: 13px; padding: 4px 8px;");
        b->setEnabled(QString(name) != "spread" || session_.selected().size() > 2);
        connect(b, &QPushButton::clicked, this, [this, n = QString(name)] { emit actWanted(n); });
        rows->addWidget(b, i / 2, i % 2);
        ++i;
    }
    column->addLayout(rows);
    column->addSpacing(6);
}

void TapePanel::rebuild() {
    selectionShown_ = session_.selected();
    idle_.stop();
    later_.stop();
    cards_.clear();
    auto* body = new QWidget;
    auto* column = new QVBoxLayout(body);
    column->setContentsMargins(14, 10, 14, 12);
    column->setSpacing(4);
    const auto& chosen = session_.selected();
    const Scheme& scheme = session_.project()->scheme();
    const auto& readings = session_.readings();
    auto* heading = new QLabel;
    heading->setProperty("heading", true);
    heading->setWordWrap(true);
    column->addWidget(heading);
    if (!session_.judgedWhole())
        column->addWidget(quietLabel(tr("Still judging: these are the readings found so far.")));
    const auto card = [&](std::size_t i, bool withPiece) {
        if (static_cast<int>(cards_.size()) >= mostCards)
            return;
        auto* c = new ReadingCard(session_, i, withPiece);
        cards_.push_back(c);
        column->addWidget(c);
        c->ensurePolished();
        c->fitTo(std::max(viewport()->width(), 250) - 28);
    };
    if (chosen.size() == 1 && scheme.byId(chosen.front()) != nullptr) {
        const Piece& p = *scheme.byId(chosen.front());
        heading->setText(QString::fromStdString(p.name));
        auto size =
            footprintWords(p, session_.project()->notation) +
            (p.onWall()
                 ? (p.isGroup() ? std::string()
                                : ", " + writeBare(p.size.depth, session_.project()->notation) +
                                      inOwnWords(" deep"))
                 : " x " + writeBare(p.size.height, session_.project()->notation) +
                       inOwnWords(" high"));
        if (p.heights.seat)
            size +=
                inOwnWords(", seat ") + writeBare(*p.heights.seat, session_.project()->notation);
        if (p.kind->draw == "curtains")
            size += inOwnWords(", stacks back ") +
                    writeBare(stackBack(p), session_.project()->notation) + inOwnWords(" a side");
        auto* sizes = new QLabel(QString::fromStdString(size));
        sizes->setWordWrap(true);
        sizes->setFont(sheets::lettering(14));
        sizes->setStyleSheet(
            QString("font-family: 'Routed Gothic'; color: %1;").arg(look().soft.name()));
        column->addWidget(sizes);
        column->addSpacing(6);
        // Its own readings first, then those it is only measured to.
        std::vector<std::size_t> notes;
        for (const bool own : {true, false})
            for (std::size_t i = 0; i < readings.size(); ++i) {
                if (!readings[i].isAbout(p.id) || (readings[i].piece == p.id) != own)
                    continue;
                if (readings[i].verdict == Verdict::note)
                    notes.push_back(i);
                else
                    card(i, !own);
            }
        if (cards_.empty() && notes.empty())
            column->addWidget(quietLabel(tr("No rule measures it where it is.")));
        addNotes(column, notes, true);
        column->addSpacing(4);
        if (p.isGroup() && !session_.inTrial()) {
            auto* again = new QPushButton(tr("Set out as one …"));
            again->setObjectName("setOut");
            connect(again, &QPushButton::clicked, this, [this] { emit actWanted("group"); });
            column->addWidget(again);
        }
        if (p.onWall())
            addHooks(column, p);
        addTies(column, p);
        column->addSpacing(4);
        addChoice(column, p);
    } else if (chosen.size() > 1) {
        heading->setText(tr("%1 pieces").arg(chosen.size()));
        addSeveral(column);
        for (std::size_t i = 0; i < readings.size(); ++i)
            if (std::any_of(chosen.begin(), chosen.end(),
                            [&](int id) { return readings[i].isAbout(id); }) &&
                readings[i].verdict != Verdict::note)
                card(i, true);
    } else if (session_.project()->room->walls.empty()) {
        heading->setText(tr("No room yet"));
        column->addWidget(quietLabel(tr("Start one from its tape notes: Job, Measure (Ctrl+T).")));
    } else {
        const int n = session_.toMend();
        heading->setText(scheme.pieces.empty()     ? tr("Nothing placed yet")
                         : !session_.judgedWhole() ? tr("%1 to mend so far").arg(n)
                         : n == 0                  ? tr("Nothing to mend")
                                                   : tr("%1 to mend").arg(n));
        const auto* school =
            session_.project()->library.book->schoolById(session_.project()->judgement.school);
        column->addWidget(
            quietLabel(scheme.pieces.empty()
                           ? tr("Say what goes where on the line below the "
                                "board, like:\n%1")
                                 .arg(fromCore(exampleIn("sofa 84 x 36 against wall A",
                                                         session_.project()->notation.units)))
                           : tr("%1 readings, judged “%2”: %3")
                                 .arg(readings.size())
                                 .arg(QString::fromStdString(school->title),
                                      QString::fromStdString(school->says))));
        column->addSpacing(6);
        if (n > 1 && !session_.inTrial()) {
            auto* all = new QPushButton(tr("Mend all I can …"));
            all->setObjectName("mendAll");
            all->setToolTip(tr("Shows every step before any is taken"));
            connect(all, &QPushButton::clicked, this, [this] { emit actWanted("mendAll"); });
            column->addWidget(all);
            column->addSpacing(4);
        }
        // Of the wall looked at first.
        auto mends = toMendByWeight(readings);
        if (session_.surface().isWall())
            std::stable_partition(mends.begin(), mends.end(), [this](const Reading* r) {
                return r->surface == session_.surface();
            });
        const bool onWall = session_.surface().isWall();
        const auto here = std::count_if(mends.begin(), mends.end(), [this](const Reading* r) {
            return r->surface == session_.surface();
        });
        if (onWall && n > 0)
            column->addWidget(
                quietLabel(QString(here > 0 ? tr("On wall %1") : tr("Nothing to mend on wall %1"))
                               .arg(QString::fromStdString(wallName(session_.surface().wall())))));
        std::ptrdiff_t told = 0;
        for (const Reading* r : mends) {
            if (onWall && told++ == here)
                column->addWidget(quietLabel(tr("Elsewhere in the room")));
            card(static_cast<std::size_t>(r - readings.data()), true);
        }
        bool accepts = false;
        for (std::size_t i = 0; i < readings.size(); ++i)
            if (readings[i].accepted) {
                if (!accepts)
                    column->addWidget(quietLabel(tr("Accepted as it is")));
                accepts = true;
                card(i, true);
            }
        std::vector<std::size_t> notes;
        for (std::size_t i = 0; i < readings.size(); ++i)
            if (readings[i].verdict == Verdict::note)
                notes.push_back(i);
        if (onWall)
            std::stable_partition(notes.begin(), notes.end(), [&](std::size_t i) {
                return readings[i].surface == session_.surface();
            });
        addNotes(column, notes, true);
        if (!session_.inTrial() && session_.project()->room->closed)
            addRoom(column);
        if (!session_.project()->room->closed) {
            auto* open =
                new QLabel(QString::fromStdString(session_.project()->room->closure.words));
            open->setWordWrap(true);
            open->setProperty("trouble", true);
            column->addWidget(open);
        }
    }
    column->addStretch(1);
    body->setMaximumWidth(std::max(viewport()->width(), 240));
    setWidget(body);
    body_ = body;
    if (session_.inTrial())
        return;
    idle_.start();
}

void TapePanel::findRemedies() {
    std::vector<std::size_t> wanted;
    for (auto* c : cards_) {
        if (!c->stillThere() || !session_.readings()[c->reading()].toMend())
            continue;
        if (session_.remedyKnown(c->reading()))
            c->showRemedy();
        else
            wanted.push_back(c->reading());
    }
    session_.findRemedies(std::move(wanted));
}

void TapePanel::takeFirstRemedy() {
    if (later_.isActive())
        rebuild();
    takeWhenFound_ = false;
    for (auto* c : cards_) {
        if (!c->stillThere() || !session_.readings()[c->reading()].toMend())
            continue;
        if (!session_.remedyKnown(c->reading())) {
            // It is taken once it is found.
            takeWhenFound_ = true;
            if (!session_.findingRemedies())
                findRemedies();
            emit session_.told("Looking for a remedy …", false);
            return;
        }
        c->showRemedy();
        if (!c->remedyButton()->isHidden()) {
            c->remedyButton()->click();
            return;
        }
    }
    emit session_.told("There is no remedy to take here", true);
}

void TapePanel::editFirst() {
    if (later_.isActive())
        rebuild();
    if (cards_.empty())
        return;
    cards_.front()->figure()->setFocus();
    cards_.front()->figure()->selectAll();
}

} // namespace mezzet::app
