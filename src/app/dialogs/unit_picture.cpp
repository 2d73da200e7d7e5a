#include "app/dialogs/dress_dialog.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "edit/place_thing.h"
#include "scheme/surfaces.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

namespace mezzet::app {

UnitPicture::UnitPicture(JobSession& session, QWidget* parent)
    : QWidget(parent), session_(session) {
    setObjectName("unitPicture");
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(320, 280);
    setMouseTracking(true);
    setAccessibleName(tr("The unit from the front"));
    connect(&session, &JobSession::jobChanged, this, [this] {
        if (session_.project()->scheme().byId(chosen_) == nullptr)
            chosen_ = 0;
        update();
    });
}

void UnitPicture::show(int unit) {
    unit_ = unit;
    chosen_ = 0;
    update();
}

void UnitPicture::squint(bool on) {
    squint_ = on;
    update();
}

void UnitPicture::choose(int thing) {
    if (thing == chosen_)
        return;
    chosen_ = thing;
    const Piece* p = session_.project()->scheme().byId(thing);
    setAccessibleDescription(p != nullptr ? QString::fromStdString(p->name) : QString());
    update();
    emit chosenChanged();
}

sheets::UnitView UnitPicture::drawn() const {
    sheets::UnitView v;
    v.into = QRectF(rect()).adjusted(18, 14, -18, -14);
    return v;
}

QRectF UnitPicture::frontOf(int thing) const {
    for (const auto& [id, box] : sheets::thingFronts(*session_.scene(), unit_, drawn()))
        if (id == thing)
            return box;
    return {};
}

int UnitPicture::thingAt(QPointF at) const {
    int out = 0;
    for (const auto& [id, box] : sheets::thingFronts(*session_.scene(), unit_, drawn()))
        if (box.contains(at))
            out = id; // what is before comes later
    return out;
}

void UnitPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), look().floor);
    const Scene& scene = *session_.scene();
    if (scene.pieceById(unit_) == nullptr) {
        p.setFont(sheets::sans(14));
        p.setPen(look().soft);
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("There is no piece with shelves, and nothing on a table yet.\nAdd one, like: "
                      "bookcase against wall A, 5 shelves"));
        return;
    }
    sheets::UnitView v = drawn();
    v.chosen = chosen_;
    if (!squint_) {
        sheets::drawUnitFront(p, look(), scene, unit_, v);
        if (const Piece* piece = scene.pieceById(chosen_); dragged_ && grabbed_ && piece) {
            // Where it would go: its outline follows the pointer.
            const double scale = sheets::unitFrame(scene, unit_, v).scale;
            const QSizeF size(piece->size.width.mm() * scale, piece->size.height.mm() * scale);
            p.setBrush(Qt::NoBrush);
            p.setPen(QPen(look().chosen, 2, Qt::DashLine));
            p.drawRect(QRectF(at_ - *grabbed_ - QPointF(0, size.height()), size));
        }
        return;
    }
    v.values = true;
    v.chosen = 0;
    QImage whole(size(), QImage::Format_RGB32);
    whole.fill(QColor(225, 225, 225));
    {
        QPainter q(&whole);
        q.setRenderHint(QPainter::Antialiasing);
        sheets::drawUnitFront(q, look(), scene, unit_, v);
    }
    constexpr int blur = 18;
    const QImage small = whole.scaled(std::max(width() / blur, 1), std::max(height() / blur, 1),
                                      Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.drawImage(rect(), small);
}

std::optional<std::pair<SurfaceId, double>> UnitPicture::boardAt(QPointF at) const {
    const Scene& scene = *session_.scene();
    const Piece* unit = scene.pieceById(unit_);
    if (unit == nullptr)
        return {};
    const auto [scale, foot] = sheets::unitFrame(scene, unit_, drawn());
    const double x = (at.x() - foot.x()) / scale;
    const double z = (foot.y() - at.y()) / scale;
    if (x < 0 || x > unit->size.width.mm())
        return {};
    for (int i = 1; i <= unit->openings(); ++i)
        if (const auto o = openingOf(*unit, i)) {
            const double left = o->left + unit->size.width.mm() / 2;
            const double right = o->right + unit->size.width.mm() / 2;
            if (x >= left && x <= right && z >= o->board - 25 && z <= o->head)
                return std::pair{inOpening(unit_, i), x - left};
        }
    if (unit->kind->hasTop() && z >= unit->top().mm() - 25)
        return std::pair{onTop(unit_), x};
    return {};
}

void UnitPicture::mousePressEvent(QMouseEvent* e) {
    const int thing = thingAt(e->position());
    choose(thing);
    dragged_ = false;
    grabbed_.reset();
    if (thing == 0)
        return;
    grabbed_ = e->position() - frontOf(thing).bottomLeft();
    at_ = e->position();
}

void UnitPicture::mouseMoveEvent(QMouseEvent* e) {
    if (!grabbed_ || !(e->buttons() & Qt::LeftButton))
        return;
    if ((e->position() - at_).manhattanLength() > 3)
        dragged_ = true;
    if (dragged_)
        at_ = e->position();
    update();
}

void UnitPicture::mouseReleaseEvent(QMouseEvent*) {
    const bool moved = std::exchange(dragged_, false);
    const auto grabbed = std::exchange(grabbed_, std::nullopt);
    if (!moved || !grabbed)
        return update();
    const auto to = boardAt(at_ - *grabbed + QPointF(1, -2));
    if (!to) {
        emit session_.told("There is no board there", true);
        return update();
    }
    const auto edit =
        putThing(*session_.project(), *session_.scene(), chosen_, to->first, to->second);
    if (!edit)
        emit session_.told(QString::fromStdString(edit.problem().text()), true);
    else
        session_.apply(*edit);
    update();
}

void UnitPicture::moveBy(double mm) {
    const Scene& scene = *session_.scene();
    const Piece* p = scene.pieceById(chosen_);
    if (p == nullptr || !p->on.isCarried())
        return;
    for (const DressedSurface& s : dressedSurfaces(scene, unit_))
        for (const DressedThing& t : s.things)
            if (t.id == chosen_ && t.on == 0)
                if (const auto edit =
                        putThing(*session_.project(), scene, chosen_, s.id, t.at.x + mm))
                    session_.apply(*edit, tr("thing %1").arg(chosen_));
}

void UnitPicture::keyPressEvent(QKeyEvent* e) {
    const double step = isMetric(session_.project()->notation.units) ? 10 : 25.4;
    std::vector<int> all;
    for (const DressedSurface& s : dressedSurfaces(*session_.scene(), unit_))
        for (const DressedThing& t : s.things)
            all.push_back(t.id);
    const auto it = std::find(all.begin(), all.end(), chosen_);
    switch (e->key()) {
    case Qt::Key_Left:
        return moveBy(-step);
    case Qt::Key_Right:
        return moveBy(step);
    case Qt::Key_Down:
        if (!all.empty())
            choose(it == all.end() || it + 1 == all.end() ? all.front() : *(it + 1));
        return;
    case Qt::Key_Up:
        if (!all.empty())
            choose(it == all.end() || it == all.begin() ? all.back() : *(it - 1));
        return;
    case Qt::Key_Delete:
    case Qt::Key_Backspace:
        if (chosen_ != 0) {
            const int gone = chosen_;
            choose(0);
            session_.apply({inOwnWords("take away"), {RemovePiece{gone}}, {}});
        }
        return;
    default:
        QWidget::keyPressEvent(e);
    }
}

bool UnitPicture::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(e);
        const int thing = thingAt(help->pos());
        if (const Piece* p = session_.project()->scheme().byId(thing)) {
            QStringList words{QString::fromStdString(p->name),
                              QString::fromStdString(sizeWords(*p, session_.project()->notation))};
            if (const auto c = colourOf(*p))
                words << QString::fromUtf8(colourWord(*c).data(),
                                           static_cast<qsizetype>(colourWord(*c).size()));
            if (const auto m = materialOf(*p); !m.empty())
                words << QString::fromStdString(std::string(m));
            QToolTip::showText(help->globalPos(),
                               "<qt>" + words.join(", ").toHtmlEscaped() + "</qt>", this);
        } else {
            QToolTip::hideText();
        }
        return true;
    }
    return QWidget::event(e);
}

} // namespace mezzet::app
