#include "app/dialogs/group_dialog.h"
#include "app/look/tr.h"
#include "app/look/widgets.h"
#include "measure/example.h"

#include "app/look/style.h"
#include "app/session/long_work.h"
#include "scheme/words.h"
#include "sheets/drawing.h"

#include <QComboBox>
#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>

namespace mezzet::app {

AnswerPicture::AnswerPicture(const GroupAsk& ask, const GroupAnswer& answer, const QString& words,
                             QWidget* parent)
    : QWidget(parent), ask_(ask), answer_(answer), words_(words) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setMinimumSize(200, 170);
    setAccessibleName(words);
}

void AnswerPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(hasFocus() ? look().chosen : look().panelEdge, hasFocus() ? 2 : 1));
    p.setBrush(look().floor);
    p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 6, 6);
    const QRectF area = QRectF(rect()).adjusted(14, 12, -14, -30);
    const double scale = std::min(area.width() / std::max(answer_.size.x, 1.0),
                                  area.height() / std::max(answer_.size.y, 1.0));
    p.setPen(QPen(look().ink, 1.2));
    p.setBrush(look().wash(Family::art));
    for (std::size_t i = 0; i < ask_.items.size(); ++i) {
        const auto& item = ask_.items[i];
        if (std::find(answer_.leftOut.begin(), answer_.leftOut.end(), item.id) !=
            answer_.leftOut.end())
            continue;
        const Vec2 c = answer_.centres[i];
        QRectF r(0, 0, item.width.mm() * scale, item.height.mm() * scale);
        r.moveCenter(area.center() + QPointF(c.x * scale, -c.y * scale));
        p.setBrush(item.pinned ? look().tape : look().wash(Family::art));
        p.drawRect(r);
    }
    p.setFont(sheets::sans(12));
    p.setPen(look().soft);
    p.drawText(QRectF(8, height() - 26, width() - 16, 22), Qt::AlignCenter,
               p.fontMetrics().elidedText(words_, Qt::ElideRight, width() - 16));
}

void AnswerPicture::mousePressEvent(QMouseEvent*) {
    emit taken();
}

void AnswerPicture::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter || e->key() == Qt::Key_Space)
        emit taken();
    else
        QWidget::keyPressEvent(e);
}

GroupDialog::GroupDialog(JobSession& session, std::vector<int> ids, QWidget* parent)
    : QDialog(parent), session_(session) {
    setObjectName("groupDialog");
    setWindowTitle(tr("Set out as one"));
    openAt(*this, {820, 600});
    const Scheme& scheme = session.project()->scheme();
    if (ids.size() == 1)
        if (const Piece* g = scheme.byId(ids.front()); g != nullptr && g->isGroup())
            group_ = g->id;
    pieces_ = membersOf(scheme, ids);
    auto* whole = new QHBoxLayout(this);
    whole->setContentsMargins(20, 16, 20, 16);
    whole->setSpacing(16);
    auto* left = new QVBoxLayout;
    whole->addLayout(left);
    auto* form = new QFormLayout;
    form->setSpacing(8);
    form_ = new QComboBox;
    form_->setAccessibleName(tr("Form"));
    const std::pair<GroupForm, QString> forms[] = {
        {GroupForm::salon, tr("Salon, filling an outline")},
        {GroupForm::grid, tr("Grid")},
        {GroupForm::row, tr("Row")},
        {GroupForm::column, tr("Column")},
        {GroupForm::spiral, tr("Round the largest")},
        {GroupForm::mirrored, tr("Mirrored over a line")},
        {GroupForm::stepped, tr("Stepped with the stair")}};
    for (const auto& [f, name] : forms)
        form_->addItem(name, static_cast<int>(f));
    const Notation n = session.project()->notation;
    gap_ = new QLineEdit(
        QString::fromStdString(writeGap(session.project()->library.book->habit("group-gap"), n)));
    gap_->setAccessibleName(tr("Gap"));
    within_ = new QLineEdit;
    within_->setPlaceholderText(
        tr("no limit, or like %1").arg(fromCore(exampleIn("80 x 50", n.units))));
    within_->setAccessibleName(tr("Within"));
    if (group_ != 0) {
        const GroupPlan& plan = scheme.byId(group_)->plan;
        if (plan.form != GroupForm::asPlaced)
            setForm(plan.form);
        gap_->setText(QString::fromStdString(writeGap(plan.gap, n)));
    }
    form->addRow(tr("Form"), form_);
    form->addRow(tr("Gap"), gap_);
    form->addRow(tr("Within"), within_);
    left->addLayout(form);
    auto* keep = new QLabel(tr("Keep these where they hang:"));
    keep->setProperty("quiet", true);
    left->addWidget(keep);
    pins_ = new QListWidget;
    pins_->setAccessibleName(tr("Keep these where they hang"));
    pins_->setFixedWidth(250);
    for (const int id : pieces_) {
        const Piece& p = *scheme.byId(id);
        auto* item = new QListWidgetItem(
            QString::fromStdString(p.name + ",  " + footprintWords(p, n)), pins_);
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        item->setCheckState(Qt::Unchecked);
        item->setData(Qt::UserRole, id);
    }
    left->addWidget(pins_, 1);
    auto* again = new QPushButton(tr("Set out"));
    again->setDefault(true);
    left->addWidget(again);
    auto* close = new QPushButton(tr("Close"));
    close->setAutoDefault(false);
    close->setProperty("plain", true);
    left->addWidget(close);
    auto* right = new QVBoxLayout;
    whole->addLayout(right, 1);
    work_ = new LongWork;
    right->addWidget(work_);
    say_ = new QLabel;
    say_->setWordWrap(true);
    say_->setProperty("quiet", true);
    right->addWidget(say_);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    auto* body = new QWidget;
    grid_ = new QGridLayout(body);
    grid_->setSpacing(10);
    grid_->setContentsMargins(0, 0, 0, 0);
    scroll->setWidget(body);
    right->addWidget(scroll, 1);
    connect(again, &QPushButton::clicked, this, &GroupDialog::solve);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    connect(form_, &QComboBox::currentIndexChanged, this, &GroupDialog::solve);
    connect(pins_, &QListWidget::itemChanged, this, &GroupDialog::solve);
    solve();
}

GroupDialog::~GroupDialog() = default;

void GroupDialog::setForm(GroupForm f) {
    form_->setCurrentIndex(form_->findData(static_cast<int>(f)));
}

bool GroupDialog::solving() const {
    return work_->running();
}

std::optional<GroupAsk> GroupDialog::asked() {
    const Units units = session_.project()->notation.units;
    const auto gap = readLength(gap_->text().toStdString(), units);
    if (!gap || *gap < Length{} || *gap > Length::metres(2)) {
        say_->setText(tr("The gap can't be read: write it like %1.")
                          .arg(fromCore(exampleIn("2", session_.project()->notation.units))));
        gap_->setFocus();
        return {};
    }
    std::vector<int> pinned;
    for (int i = 0; i < pins_->count(); ++i)
        if (pins_->item(i)->checkState() == Qt::Checked)
            pinned.push_back(pins_->item(i)->data(Qt::UserRole).toInt());
    GroupAsk ask = askOf(*session_.settledScene(), pieces_,
                         static_cast<GroupForm>(form_->currentData().toInt()), *gap, pinned);
    const auto text = within_->text().trimmed().toLower();
    if (!text.isEmpty()) {
        const auto parts = text.split('x');
        const auto w = parts.size() == 2 ? readLength(parts[0].trimmed().toStdString(), units)
                                         : Result<Length>(Problem{});
        const auto h = parts.size() == 2 ? readLength(parts[1].trimmed().toStdString(), units)
                                         : Result<Length>(Problem{});
        if (!w || !h || *w <= Length{} || *h <= Length{}) {
            say_->setText(
                tr("The outline can't be read: write it like %1.")
                    .arg(fromCore(exampleIn("80 x 50", session_.project()->notation.units))));
            within_->setFocus();
            return {};
        }
        ask.within = Vec2{w->mm(), h->mm()};
    }
    return ask;
}

void GroupDialog::solve() {
    auto ask = asked();
    if (!ask)
        return;
    ask_ = *ask;
    auto found = std::make_shared<std::vector<GroupAnswer>>();
    work_->start(
        tr("Setting them out"),
        [found, ask = *ask](Watch& watch) mutable {
            ask.goesOn = [&watch] { return !watch.stop; };
            *found = arrangeGroup(ask);
        },
        [this, found] {
            answers_ = *found;
            tell();
        });
}

void GroupDialog::tell() {
    while (auto* item = grid_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    const Notation n = session_.project()->notation;
    if (answers_.empty()) {
        say_->setText(
            tr("Nothing sets them out so: allow a wider outline, or keep fewer in place."));
        return;
    }
    say_->setText(tr("%1 clearly different %2. Press one to hang it so.")
                      .arg(answers_.size())
                      .arg(answers_.size() == 1 ? "answer" : "answers"));
    for (std::size_t i = 0; i < answers_.size(); ++i) {
        const GroupAnswer& a = answers_[i];
        const auto say = [&](double mm) {
            return QString::fromStdString(writeBare(Length::millimetres(mm), n));
        };
        auto words = tr("%1 x %2, %3 % filled")
                         .arg(say(a.size.x), say(a.size.y))
                         .arg(std::lround(a.fill * 100));
        QStringList left;
        for (const int id : a.leftOut)
            left << QString::fromStdString(session_.project()->scheme().byId(id)->name);
        if (!left.isEmpty())
            words += tr("; left over: ") + left.join(", ");
        auto* picture = new AnswerPicture(ask_, a, words);
        connect(picture, &AnswerPicture::taken, this, [this, i] {
            if (take(i))
                accept();
        });
        grid_->addWidget(picture, static_cast<int>(i) / 2, static_cast<int>(i) % 2);
    }
}

bool GroupDialog::take(std::size_t i) {
    if (i >= answers_.size())
        return false;
    const ProjectPtr job = session_.settledProject();
    const ScenePtr scene = session_.settledScene();
    const GroupPlan plan{ask_.form, ask_.gap, static_cast<int>(i)};
    if (group_ != 0)
        return session_.apply(setOut(*job, *scene, group_, plan, ask_, answers_[i]));
    auto made = makeGroup(*job, *scene, pieces_, {}, ask_.form, ask_.gap);
    const auto with = made ? mezzet::apply(*job, *made) : Result<Applied>(made.problem());
    if (!with) {
        emit session_.told(QString::fromStdString(with.problem().sentence()), true);
        return false;
    }
    const int id = std::get<PutPiece>(made->acts.front()).piece.id;
    const Edit laid = setOut(*with->project, *with->scene, id, plan, ask_, answers_[i]);
    Edit all = *made;
    all.acts.insert(all.acts.end(), laid.acts.begin(), laid.acts.end());
    all.notices = laid.notices;
    if (!session_.apply(all))
        return false;
    session_.select({id});
    return true;
}

} // namespace mezzet::app
