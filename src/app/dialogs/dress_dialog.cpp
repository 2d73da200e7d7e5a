#include "app/dialogs/dress_dialog.h"
#include "app/look/tr.h"
#include "measure/example.h"

#include "app/look/style.h"
#include "app/look/widgets.h"
#include "app/session/long_work.h"
#include "edit/handed_over.h"
#include "judge/rule_code.h"
#include "judge/say.h"
#include "things/dressed.h"

#include "dress/tops.h"
#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPixmap>
#include <QPushButton>
#include <QTabWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

namespace {

QIcon swatchOf(Rgb c) {
    QPixmap p(14, 14);
    p.fill(QColor(c.r, c.g, c.b));
    return QIcon(p);
}

} // namespace

DressDialog::DressDialog(JobSession& session, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("dressDialog");
    setWindowTitle(tr("Dress shelves and tables"));
    openAt(*this, {1120, 720});
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(18, 14, 18, 14);
    whole->setSpacing(10);

    auto* top = new QHBoxLayout;
    units_ = new QComboBox;
    units_->setObjectName("dressUnits");
    units_->setAccessibleName(tr("Which unit"));
    units_->setMinimumWidth(220);
    top->addWidget(units_);
    counts_ = new QLabel;
    counts_->setTextFormat(Qt::PlainText);
    counts_->setProperty("quiet", true);
    top->addWidget(counts_, 1);
    auto* far = new QCheckBox(tr("As seen from across the room"));
    far->setObjectName("squint");
    far->setToolTip(tr("Blurred, light and dark only: is it balanced?"));
    top->addWidget(far);
    whole->addLayout(top);

    auto* middle = new QHBoxLayout;
    middle->setSpacing(14);
    picture_ = new UnitPicture(session);
    middle->addWidget(picture_, 1);
    auto* tabs = new QTabWidget;
    tabs->setObjectName("dressTabs");
    tabs->setFixedWidth(380);
    const auto list = [&](const char* name, const QString& title) {
        auto* l = new QListWidget;
        l->setObjectName(name);
        l->setAccessibleName(title);
        l->setWordWrap(true);
        l->setIconSize({14, 14});
        l->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        tabs->addTab(l, title);
        return l;
    };
    readings_ = list("dressReadings", tr("Readings"));
    stock_ = list("dressStock", tr("At hand"));
    wanted_ = list("dressWanted", tr("Still wanted"));
    middle->addWidget(tabs);
    whole->addLayout(middle, 1);

    auto* ways = new QHBoxLayout;
    const auto act = [&](const QString& words, const QString& tip, auto does) {
        auto* b = new QPushButton(words);
        b->setAutoDefault(false);
        b->setToolTip(tip);
        connect(b, &QPushButton::clicked, this, does);
        ways->addWidget(b);
        return b;
    };
    auto* solveIt =
        act(tr("Dress it from the stock"),
            tr("Chooses and places what is at hand; what is locked stays"), [this] { solve({}); });
    solveIt->setObjectName("dressSolve");
    for (const auto& [words, accent, most] :
         {std::tuple{tr("A little more accent"), 1.0, 1.0}, std::tuple{tr("Calmer"), -1.0, 1.0},
          std::tuple{tr("Fewer things"), 0.0, 0.6}}) {
        auto* b = act(words, tr("The same, found again"), [this, a = accent, m = most] {
            DressWish wish;
            wish.accent = a;
            wish.most = m;
            solve(wish);
        });
        b->setProperty("plain", true);
    }
    auto* only =
        act(tr("Only this opening"), tr("Dresses the opening of the chosen thing anew"), [this] {
            const Piece* p = session_.project()->scheme().byId(picture_->chosen());
            if (p == nullptr || p->on.is != SurfaceId::Is::opening)
                return tell(tr("Choose a thing in the opening first"), true);
            DressWish wish;
            wish.only = p->on.index;
            solve(wish);
        });
    only->setProperty("plain", true);
    ways->addStretch(1);
    answersRow_ = new QHBoxLayout;
    ways->addLayout(answersRow_);
    whole->addLayout(ways);

    work_ = new LongWork;
    connect(work_, &LongWork::failed, this, [this](const QString& w) { tell(w, true); });
    whole->addWidget(work_);

    line_ = new QLineEdit;
    line_->setObjectName("dressLine");
    line_->setAccessibleName(tr("Say what goes where"));
    line_->setPlaceholderText(QString("stack of 5 navy books, widest below, left of opening 2"));
    whole->addWidget(line_);
    told_ = new QLabel;
    told_->setObjectName("dressTold");
    told_->setTextFormat(Qt::PlainText);
    told_->setWordWrap(true);
    told_->setMinimumHeight(22);
    whole->addWidget(told_);

    auto* foot = new QHBoxLayout;
    auto* caution = new QLabel(tr("Fix tall units to the wall. No open flame on a shelf."));
    caution->setProperty("quiet", true);
    foot->addWidget(caution, 1);
    addPlainButton(foot, tr("Undo"), "dressUndo", [this] { session_.undo(); });
    addPlainButton(foot, tr("Wanted, to the list"), "dressList", [this] {
        const Project& job = *session_.project();
        const int unit = picture_->unit();
        const auto wanted =
            unit != 0 ? wantedFor(job, *session_.scene(), dressedSurfaces(*session_.scene(), unit))
                      : std::vector<WantedThing>{};
        if (wanted.empty())
            return tell(tr("Nothing is wanted here"), true);
        session_.apply(listEdit(job, withEntries(job, asEntries(wanted, job)),
                                inOwnWords("what is wanted, on the list")),
                       {}, tr("%1 on the list (Hand over, The list)").arg(wanted.size()));
    });
    addPlainButton(foot, tr("Print it …"), "dressPrint", [this] { emit printWanted(); });
    addPlainButton(foot, tr("Close"), "dressClose", [this] { accept(); });
    whole->addLayout(foot);

    connect(far, &QCheckBox::toggled, picture_, &UnitPicture::squint);
    connect(units_, &QComboBox::currentIndexChanged, this, [this] {
        picture_->show(units_->currentData().toInt());
        fill();
    });
    connect(line_, &QLineEdit::returnPressed, this, &DressDialog::sayIt);
    connect(&session, &JobSession::told, this, &DressDialog::tell);
    connect(&session, &JobSession::jobChanged, this, &DressDialog::fill);
    connect(readings_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item != nullptr && item->data(Qt::UserRole).toInt() != 0)
            picture_->choose(item->data(Qt::UserRole).toInt());
    });
    connect(stock_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) {
        // One more of it, in the opening of what is chosen.
        const Piece* unit = session_.project()->scheme().byId(picture_->unit());
        const Piece* p = session_.project()->scheme().byId(picture_->chosen());
        const auto name = item->data(Qt::UserRole).toString();
        if (unit == nullptr || name.isEmpty())
            return;
        line_->setText(
            p != nullptr && p->on.is == SurfaceId::Is::opening
                ? tr("%1 in opening %2 of %3").arg(name).arg(p->on.index).arg(fromCore(unit->name))
            : unit->openings() > 0 ? tr("%1 in opening 1 of %2").arg(name, fromCore(unit->name))
                                   : tr("%1 on %2").arg(name, fromCore(unit->name)));
        line_->setFocus();
    });
    fill();
    if (units_->count() > 0)
        picture_->show(units_->currentData().toInt());
    fill();
    line_->setFocus();
}

DressDialog::~DressDialog() {
    work_->stop();
}

bool DressDialog::solving() const {
    return work_->running();
}

void DressDialog::tell(const QString& words, bool trouble) {
    told_->setStyleSheet(QString("color: %1;").arg((trouble ? look().tight : look().right).name()));
    told_->setText(words);
}

void DressDialog::sayIt() {
    const auto said = line_->text().trimmed();
    if (said.isEmpty())
        return;
    // "it" is what is chosen here.
    if (picture_->chosen() != 0)
        session_.select({picture_->chosen()});
    if (session_.sayLine(said))
        line_->clear();
}

void DressDialog::fill() {
    const Scene& scene = *session_.scene();
    const Project& job = *session_.project();
    const Scheme& scheme = job.scheme();
    // What has openings, then tops with things, then the other tops.
    std::vector<std::pair<QString, int>> units;
    const auto rank = [&](int id) {
        const Piece& p = *scheme.byId(id);
        const bool carries =
            std::any_of(scheme.pieces.begin(), scheme.pieces.end(),
                        [&](const Piece& o) { return o.on.isCarried() && o.on.piece == id; });
        return std::pair(-p.openings(), !carries);
    };
    for (const Piece& p : scheme.pieces)
        if (!p.isThing() && (p.openings() > 0 || p.kind->hasTop()))
            units.emplace_back(fromCore(p.name), p.id);
    std::stable_sort(units.begin(), units.end(),
                     [&](const auto& a, const auto& b) { return rank(a.second) < rank(b.second); });
    bool same = static_cast<int>(units.size()) == units_->count();
    for (int i = 0; same && i < units_->count(); ++i)
        same = units_->itemData(i).toInt() == units[static_cast<std::size_t>(i)].second &&
               units_->itemText(i) == units[static_cast<std::size_t>(i)].first;
    if (!same) {
        const QSignalBlocker quiet(units_);
        const int shown = picture_->unit();
        units_->clear();
        for (const auto& [name, id] : units)
            units_->addItem(name, id);
        const int at = units_->findData(shown);
        units_->setCurrentIndex(at >= 0 ? at : units_->count() > 0 ? 0 : -1);
        if (at < 0)
            picture_->show(units_->currentData().toInt());
    }
    const int unit = picture_->unit();
    const Wording say = job.wording();
    const auto surfaces = unit != 0 ? dressedSurfaces(scene, unit) : std::vector<DressedSurface>{};
    std::size_t things = 0;
    for (const DressedSurface& s : surfaces)
        things += s.things.size();
    readings_->clear();
    int toMend = 0;
    for (const Reading& r : session_.readings()) {
        const bool here =
            r.piece == unit || std::any_of(surfaces.begin(), surfaces.end(), [&](const auto& s) {
                return std::any_of(s.things.begin(), s.things.end(),
                                   [&](const DressedThing& t) { return t.id == r.piece; });
            });
        if (!here || !isOf(dressRules(), *r.rule) || !r.off())
            continue;
        ++toMend;
        const auto where =
            r.surface.isCarried() ? fromCore(words(r.surface, say)) + ": " : QString();
        auto words = (r.piece == unit ? where : fromCore(subjectOf(r, say)) + ": ") +
                     fromCore(whyOf(r, say));
        if (!words.isEmpty())
            words[0] = words[0].toUpper();
        auto* item = new QListWidgetItem(words, readings_);
        item->setData(Qt::UserRole, r.piece == unit ? 0 : r.piece);
    }
    if (toMend == 0)
        readings_->addItem(things == 0              ? tr("Nothing stands there yet.")
                           : session_.judgedWhole() ? tr("All is as it should be here.")
                                                    : tr("It is still being judged."));
    stock_->clear();
    int left = 0;
    if (job.stock)
        for (const StockThing& t : *job.stock) {
            const int placed = placedOf(t, scheme);
            left += t.count - placed;
            const Piece one = pieceOf(t, t.name);
            auto* item = new QListWidgetItem(colourOf(one) ? swatchOf(*colourOf(one)) : QIcon(),
                                             tr("%1: %2 of %3 left,  %4")
                                                 .arg(fromCore(t.name))
                                                 .arg(t.count - placed)
                                                 .arg(t.count)
                                                 .arg(fromCore(sizeWords(one, job.notation))),
                                             stock_);
            item->setData(Qt::UserRole, fromCore(t.name));
        }
    if (stock_->count() == 0)
        stock_->addItem(tr("Nothing at hand yet. Say it below, like: stock 12 cream books %1, "
                           "or read a table: Place, What is at hand.")
                            .arg(fromCore(exampleIn("9 x 6 x 1", job.notation.units))));
    wanted_->clear();
    for (const WantedThing& w : wantedFor(job, scene, surfaces))
        new QListWidgetItem(swatchOf(w.colour),
                            tr("%1: a %2%3, %4 to %5 wide, %6 to %7 high")
                                .arg(fromCore(words(w.where, say)),
                                     w.material.empty() ? QString() : fromCore(w.material + " "),
                                     fromCore(w.kind), fromCore(write(w.least.width, job.notation)),
                                     fromCore(write(w.most.width, job.notation)),
                                     fromCore(write(w.least.height, job.notation)),
                                     fromCore(write(w.most.height, job.notation))),
                            wanted_);
    if (wanted_->count() == 0)
        wanted_->addItem(tr("Nothing is missing."));
    const bool isTop = unit != 0 && !surfaces.empty() && scheme.byId(unit)->openings() == 0;
    const double score =
        isTop ? topScoreOf(scene, surfaces.front(), paletteOf(scheme, surfaces)).whole
              : scoreOf(scene, surfaces).whole;
    counts_->setText(things == 0 ? QString()
                                 : tr("%1 things, %2 left over, score %3 (0 is best)")
                                       .arg(things)
                                       .arg(left)
                                       .arg(score, 0, 'f', 2));
    // Answers are of a job that is no more.
    if (session_.project() != solvedFor_ && session_.project() != tried_ && !found_.empty()) {
        found_.clear();
        showAnswers();
    }
}

void DressDialog::solve(DressWish wish) {
    const int unit = picture_->unit();
    const Piece* p = session_.project()->scheme().byId(unit);
    if (p == nullptr || (p->openings() == 0 && !p->kind->hasTop()))
        return tell(tr("Nothing stands on that"), true);
    // Found again, it is another one.
    if (tried_ != nullptr && session_.project() == tried_) {
        tried_ = nullptr;
        session_.undo();
    }
    wish.units = {unit};
    wish.seed = seed_++;
    auto answer = std::make_shared<Result<std::vector<DressAnswer>>>(Problem{});
    const ProjectPtr job = session_.project();
    const ScenePtr scene = session_.scene();
    work_->start(
        tr("Dressing it from the stock"),
        [=](Watch& watch) {
            *answer = dressUnits(*job, *scene, wish, [&watch] { return watch.stop.load(); });
        },
        [=, this] {
            if (session_.project() != job)
                return tell(tr("The job is another one by now: dress it again"), true);
            if (!*answer)
                return tell(fromCore(answer->problem().text()), true);
            found_ = std::move(**answer);
            solvedFor_ = job;
            tried_ = nullptr;
            showAnswers();
            if (!found_.empty())
                take(0);
        });
}

void DressDialog::showAnswers() {
    for (QPushButton* b : answerButtons_)
        b->deleteLater();
    answerButtons_.clear();
    for (std::size_t i = 0; i < found_.size(); ++i) {
        auto* b =
            new QPushButton(tr("Answer %1:  %2").arg(i + 1).arg(found_[i].score.whole, 0, 'f', 2));
        b->setAutoDefault(false);
        b->setCheckable(true);
        b->setChecked(tried_ != nullptr && taken_ == i);
        b->setToolTip(tr("Tries this answer; the score is 0 at best"));
        connect(b, &QPushButton::clicked, this, [this, i] { take(i); });
        answersRow_->addWidget(b);
        answerButtons_.push_back(b);
    }
}

bool DressDialog::take(std::size_t answer) {
    if (answer >= found_.size())
        return false;
    if (tried_ != nullptr && session_.project() == tried_) {
        tried_ = solvedFor_; // answers stay while one is taken back for another
        session_.undo();
    }
    const DressAnswer chosen = found_[answer];
    const auto all = found_;
    const ProjectPtr of = solvedFor_;
    if (!session_.apply(chosen.edit, {}, tr("Dressed from the stock: undo takes it back")))
        return false;
    found_ = all;
    solvedFor_ = of;
    tried_ = session_.project();
    taken_ = answer;
    showAnswers();
    return true;
}

} // namespace mezzet::app
