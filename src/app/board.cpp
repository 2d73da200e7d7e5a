#include "app/board.h"

#include "app/style.h"
#include "geometry/polygon.h"

#include <QApplication>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QToolTip>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

constexpr double ruler = Board::rulerWidth;
constexpr double startDrag = 4; ///< pixels before a press becomes a drag
constexpr double leastScale = 0.004;
constexpr double mostScale = 4;

} // namespace

Board::Board(JobSession& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName("board");
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setMinimumSize(320, 260);
    setAccessibleName("Board");
    connect(&session, &JobSession::jobChanged, this, [this] {
        if (fitted_ && hand_ == Hand::free)
            zoomToFit();
        describe();
        update();
    });
    connect(&session, &JobSession::selectionChanged, this, [this] {
        describe();
        update();
    });
    connect(&session, &JobSession::surfaceChanged, this, [this] {
        cancelHand();
        tapeStart_.reset();
        zoomToFit();
        describe();
    });
}

void Board::describe() {
    QStringList parts;
    parts << (session_.surface() < 0
                  ? QString("Floor")
                  : QString("Wall %1").arg(QString::fromStdString(
                        session_.project()
                            ->room->walls[static_cast<std::size_t>(session_.surface())]
                            .name)));
    for (const int id : session_.selected())
        if (const auto* p = session_.project()->scheme().byId(id))
            parts << QString::fromStdString(p->name + ", " +
                                            footprintWords(*p, session_.project()->notation));
    parts << QString("%1 to mend").arg(session_.toMend());
    setAccessibleDescription(parts.join(". "));
}

// ---- places ----

QRectF Board::sheetArea() const {
    return QRectF(rect()).adjusted(ruler, ruler, 0, 0);
}

QPointF Board::toScreen(Vec2 p) const {
    return origin_ + QPointF(p.x * scale_, p.y * scale_);
}

Vec2 Board::toFloor(QPointF p) const {
    return {(p.x() - origin_.x()) / scale_, (p.y() - origin_.y()) / scale_};
}

sheets::Drawing Board::drawing(QPainter& p) const {
    return {p, look(), origin_, scale_, 1, session_.project()->notation};
}

Box Board::contentBounds() const {
    const Room& room = *session_.project()->room;
    if (session_.surface() >= 0) {
        Box b;
        b.include(Vec2{0, 0});
        b.include(Vec2{room.walls[static_cast<std::size_t>(session_.surface())].length().mm(),
                       -room.ceiling.mm()});
        if (unrolled_)
            for (const auto& [wall, left] : wallsBeside()) {
                b.include(Vec2{left, 0});
                b.include(Vec2{left + room.walls[static_cast<std::size_t>(wall)].length().mm(), 0});
            }
        return b;
    }
    Box b = room.bounds();
    for (const auto& p : session_.scene()->placed)
        b.include(bounds(p.shape));
    if (b.empty()) {
        b.include(Vec2{0, 0});
        b.include(Vec2{5000, 4000});
    }
    return b;
}

void Board::fit(const Box& b, double margin) {
    const QRectF area = sheetArea().adjusted(margin, margin, -margin, -margin);
    const Vec2 size = b.size();
    scale_ = std::clamp(
        std::min(area.width() / std::max(size.x, 1.0), area.height() / std::max(size.y, 1.0)),
        leastScale, mostScale);
    origin_ = area.center() - QPointF(b.centre().x, b.centre().y) * scale_;
    emit zoomChanged();
    update();
}

void Board::zoomToFit() {
    fit(contentBounds(), session_.surface() < 0 ? 66 : 74);
    fitted_ = true;
}

void Board::zoomToSelection() {
    Box b;
    for (const int id : session_.selected())
        if (const auto* p = session_.scene()->byId(id)) {
            const Box own = bounds(p->shape);
            const Piece& piece = *session_.scene()->scheme->byId(id);
            if (piece.wall != session_.surface())
                continue;
            b.include(onSurface(own.low));
            b.include(onSurface(own.high));
        }
    if (b.empty())
        return zoomToFit();
    fit(b, 150);
    fitted_ = false;
}

void Board::zoomBy(double factor, QPointF about) {
    const double next = std::clamp(scale_ * factor, leastScale, mostScale);
    origin_ = about + (origin_ - about) * (next / scale_);
    scale_ = next;
    fitted_ = false;
    emit zoomChanged();
    update();
}

void Board::resizeEvent(QResizeEvent*) {
    if (fitted_)
        zoomToFit();
}

int Board::pieceAt(QPointF at) const {
    if (session_.surface() >= 0) {
        if (const int id = hungAt(at); id != 0) {
            // A group is taken as one, until it is chosen and pressed again.
            const int group = session_.project()->scheme().byId(id)->group();
            return group != 0 && !session_.isSelected(group) && !session_.isSelected(id) ? group
                                                                                         : id;
        }
        const auto standing = standingBefore(*session_.scene(), session_.surface());
        const Vec2 p = toFloor(at);
        for (auto it = standing.rbegin(); it != standing.rend(); ++it) {
            const Piece& piece = session_.scene()->piece(it->index);
            if (p.x >= it->left && p.x <= it->right && -p.y >= it->base &&
                -p.y <= it->base + piece.size.height.mm())
                return piece.id;
        }
        return 0;
    }
    const Vec2 p = toFloor(at);
    const Scene& scene = *session_.scene();
    for (const bool flat : {false, true})
        for (std::size_t i = scene.placed.size(); i-- > 0;)
            if (scene.piece(i).kind->flat() == flat && contains(scene.placed[i].shape, p))
                return scene.placed[i].id;
    return 0;
}

std::optional<QPointF> Board::turnHandle() const {
    if (session_.surface() >= 0 || session_.selected().size() != 1 || taping_)
        return {};
    const Scene& scene = *session_.scene();
    const int id = session_.selected().front();
    const Piece* p = scene.scheme->byId(id);
    const Placed* where = scene.byId(id);
    if (p == nullptr || where == nullptr || p->locked)
        return {};
    const Vec2 front = where->pose.front();
    return toScreen(where->pose.toRoom({0, p->size.depth.mm() / 2})) +
           QPointF(front.x, front.y) * 20;
}

Gap Board::measured(const OwnTape& t) const {
    const Scene& scene = *session_.scene();
    const auto shapeOf = [&](const OwnTape::End& e) {
        if (e.target.is == Target::Is::piece)
            if (const auto* p = scene.byId(e.target.piece))
                return p->shape;
        if (e.target.is == Target::Is::wall &&
            e.target.index < static_cast<int>(scene.room->walls.size())) {
            const Wall& w = scene.room->walls[static_cast<std::size_t>(e.target.index)];
            return stretch({w.start, w.end});
        }
        return stretch({e.point, e.point});
    };
    return gapBetween(shapeOf(t.from), shapeOf(t.to));
}

// ---- the hand ----

void Board::setTaping(bool on) {
    if (taping_ == on)
        return;
    taping_ = on;
    tapeStart_.reset();
    setCursor(on ? Qt::CrossCursor : Qt::ArrowCursor);
    emit tapingChanged(on);
    if (on && session_.surface() >= 0)
        session_.goTo(-1);
    update();
}

void Board::setShown(Over o, bool on) {
    shown_[static_cast<std::size_t>(o)] = on;
    const bool ofWalls = o == Over::hooks || o == Over::reflected;
    if (on && session_.surface() >= 0 && !ofWalls)
        session_.goTo(-1);
    update();
}

void Board::lookFromNext() {
    ++lookFrom_;
    if (!shown(Over::view))
        setShown(Over::view, true);
    update();
}

void Board::setRegions(std::vector<AllowedRegion> regions) {
    regions_ = std::move(regions);
    update();
}

void Board::clearTapes() {
    tapes_.clear();
    tapeStart_.reset();
    update();
}

OwnTape::End Board::endAt(QPointF at) const {
    OwnTape::End end;
    end.point = toFloor(at);
    if (const int id = pieceAt(at); id != 0) {
        end.target = pieceTarget(id);
        return end;
    }
    const Room& room = *session_.project()->room;
    for (std::size_t i = 0; i < room.walls.size(); ++i) {
        const Wall& w = room.walls[i];
        if (norm(end.point - nearestOn({w.start, w.end}, end.point)) * scale_ <
            std::max(8.0, sheets::drawnWall.mm() * scale_)) {
            end.target = wallTarget(static_cast<int>(i));
            return end;
        }
    }
    return end;
}

Vec2 Board::snapped(Vec2 step) const {
    const double d = division(session_.project()->notation).mm();
    // Fine where the eye can be fine: the tape's own division close up, coarser from afar.
    double unit = d;
    while (unit * scale_ < 0.6)
        unit *= 2;
    return {std::round(step.x / unit) * unit, std::round(step.y / unit) * unit};
}

void Board::mousePressEvent(QMouseEvent* e) {
    setFocus();
    pressedAt_ = lastAt_ = e->position();
    if (e->button() == Qt::MiddleButton || (e->button() == Qt::LeftButton && spaceHeld_)) {
        hand_ = Hand::panning;
        setCursor(Qt::ClosedHandCursor);
        return;
    }
    if (e->button() != Qt::LeftButton)
        return;
    if (taping_) {
        const auto end = endAt(e->position());
        if (!tapeStart_) {
            tapeStart_ = end;
        } else {
            tapes_.push_back({*tapeStart_, end});
            tapeStart_.reset();
        }
        update();
        return;
    }
    if (const auto handle = turnHandle();
        handle &&
        std::hypot(handle->x() - e->position().x(), handle->y() - e->position().y()) < 9) {
        hand_ = Hand::turning;
        turnedBy_ = {};
        return;
    }
    const int id = pieceAt(e->position());
    if (id == 0 && unrolled_ && session_.surface() >= 0) {
        const double along = toFloor(e->position()).x;
        for (const auto& [wall, left] : wallsBeside())
            if (along > left && along < left + session_.project()
                                                   ->room->walls[static_cast<std::size_t>(wall)]
                                                   .length()
                                                   .mm()) {
                session_.goTo(wall);
                return;
            }
    }
    if (id == 0) {
        if ((e->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) == 0)
            session_.select({});
        hand_ = Hand::sweeping;
        return;
    }
    if ((e->modifiers() & Qt::ControlModifier) != 0 && !session_.isSelected(id)) {
        session_.toggle(id);
        return;
    }
    // A piece of the chosen group is chosen when the press is let go without a drag.
    const int group = session_.project()->scheme().byId(id)->group();
    inGroup_ = group != 0 && session_.isSelected(group);
    if (!session_.isSelected(id) && !inGroup_)
        session_.select({id});
    if (session_.surface() < 0 || chosenHang())
        hand_ = Hand::pressed;
}

void Board::mouseMoveEvent(QMouseEvent* e) {
    pointer_ = e->position();
    pointerIn_ = true;
    switch (hand_) {
    case Hand::panning:
        origin_ += e->position() - lastAt_;
        lastAt_ = e->position();
        fitted_ = false;
        update();
        return;
    case Hand::pressed:
        if ((e->position() - pressedAt_).manhattanLength() >= startDrag) {
            hand_ = Hand::dragging;
            setCursor(Qt::SizeAllCursor);
            dragTo(e->position(), e->modifiers());
        }
        return;
    case Hand::dragging:
        dragTo(e->position(), e->modifiers());
        return;
    case Hand::turning:
        turnTo(e->position(), e->modifiers());
        return;
    case Hand::sweeping: {
        lastAt_ = e->position();
        const QRectF swept = QRectF(pressedAt_, lastAt_).normalized();
        std::vector<int> ids;
        const Scene& scene = *session_.scene();
        if (session_.surface() < 0) {
            for (const auto& p : scene.placed)
                if (swept.contains(toScreen(p.pose.at)))
                    ids.push_back(p.id);
        } else {
            for (std::size_t i = 0; i < scene.hung.size(); ++i)
                if (const Piece& p = scene.hungPiece(i);
                    p.wall == session_.surface() && p.group() == 0 &&
                    swept.contains(toScreen(onSurface(scene.hung[i].pose.at))))
                    ids.push_back(p.id);
        }
        session_.select(ids);
        update();
        return;
    }
    default:
        break;
    }
    update(0, 0, width(), static_cast<int>(ruler));
    update(0, 0, static_cast<int>(ruler), height());
    if (taping_ && tapeStart_)
        update();
}

void Board::dragTo(QPointF at, Qt::KeyboardModifiers keys) {
    lastAt_ = at;
    step_ = onSurface(snapped(Vec2{at.x() - pressedAt_.x(), at.y() - pressedAt_.y()} / scale_));
    const auto mode = (keys & Qt::ShiftModifier) != 0     ? DragTies::keep
                      : (keys & Qt::ControlModifier) != 0 ? DragTies::drop
                                                          : DragTies::revalue;
    // One piece finds what it lines up with; Alt leaves it to the hand.
    snap_.reset();
    constexpr double snapPixels = 7;
    if (mode == DragTies::revalue && session_.selected().size() == 1 &&
        (keys & Qt::AltModifier) == 0)
        snap_ =
            snapFor(*session_.settledProject(), *session_.settledScene(),
                    session_.selected().front(), step_, Length::millimetres(snapPixels / scale_));
    if (snap_)
        step_ = snap_->step;
    drag_ = drag(*session_.settledProject(), *session_.settledScene(), session_.selected(), step_,
                 mode);
    if (!drag_->edit.acts.empty())
        session_.tryOut(drag_->edit);
    update();
}

void Board::turnTo(QPointF at, Qt::KeyboardModifiers keys) {
    const Placed* where = session_.settledScene()->byId(session_.selected().front());
    if (where == nullptr)
        return;
    const Vec2 to = toFloor(at) - where->pose.at;
    const double fine = (keys & Qt::ShiftModifier) != 0 ? 1.0 : 5.0;
    const double degrees = (directionOf(to) - Angle::degrees(90)).inDegrees();
    const Angle want = Angle::degrees(std::round(degrees / fine) * fine);
    turnedBy_ = difference(want, where->pose.turn);
    if (auto edit = turnBy(*session_.settledProject(), *session_.settledScene(),
                           session_.selected(), turnedBy_))
        session_.tryOut(*edit);
}

void Board::mouseReleaseEvent(QMouseEvent* e) {
    const Hand was = hand_;
    if (was == Hand::dragging) {
        finishDrag();
    } else if (was == Hand::turning) {
        auto edit = turnBy(*session_.settledProject(), *session_.settledScene(),
                           session_.selected(), turnedBy_);
        session_.endTrial();
        if (edit && std::abs(turnedBy_.inDegrees()) > 0.01)
            session_.apply(*edit);
    } else if (was == Hand::pressed && (e->modifiers() & Qt::ControlModifier) != 0) {
        if (const int id = pieceAt(e->position()); id != 0)
            session_.toggle(id);
    } else if (was == Hand::pressed && inGroup_) {
        if (const int id = hungAt(e->position()); id != 0)
            session_.select({id});
    } else if (was == Hand::pressed && session_.selected().size() > 1) {
        if (const int id = pieceAt(e->position()); id != 0)
            session_.select({id});
    }
    hand_ = Hand::free;
    setCursor(taping_ ? Qt::CrossCursor : Qt::ArrowCursor);
    update();
}

void Board::finishDrag() {
    auto done = drag_;
    const auto snap = snap_;
    drag_.reset();
    snap_.reset();
    session_.endTrial();
    if (done && snap && done->edit.acts.size() == 1)
        if (const auto* put = std::get_if<PutPiece>(&done->edit.acts.front()))
            if (auto held = retied(*session_.project(), put->piece, snap->ties)) {
                held->piece.pose = put->piece.pose;
                done->edit.acts.front() = PutPiece{held->piece};
                done->edit.words = put->piece.name + " " + snap->words;
            }
    if (done && !done->edit.acts.empty() && norm(step_) > 1e-6)
        session_.apply(done->edit);
    else if (done && done->edit.acts.empty())
        emit session_.told("It is locked. Unlock it first (L).", true);
}

void Board::cancelHand() {
    if (hand_ == Hand::dragging || hand_ == Hand::turning)
        session_.endTrial();
    drag_.reset();
    snap_.reset();
    hand_ = Hand::free;
    setCursor(taping_ ? Qt::CrossCursor : Qt::ArrowCursor);
}

void Board::mouseDoubleClickEvent(QMouseEvent* e) {
    if (pieceAt(e->position()) != 0)
        zoomToSelection();
    else
        zoomToFit();
}

void Board::leaveEvent(QEvent*) {
    pointerIn_ = false;
    update();
}

void Board::wheelEvent(QWheelEvent* e) {
    if (!e->pixelDelta().isNull() && (e->modifiers() & Qt::ControlModifier) == 0) {
        origin_ += e->pixelDelta();
        fitted_ = false;
        update();
        return;
    }
    zoomBy(std::pow(1.0015, e->angleDelta().y()), e->position());
}

void Board::nudge(Vec2 step, bool keepTies) {
    if (session_.selected().empty() || (session_.surface() >= 0 && !chosenHang()))
        return;
    const auto moved = drag(*session_.project(), *session_.scene(), session_.selected(),
                            onSurface(step), keepTies ? DragTies::keep : DragTies::revalue);
    if (moved.edit.acts.empty()) {
        emit session_.told("It is locked. Unlock it first (L).", true);
        return;
    }
    session_.apply(moved.edit);
}

bool Board::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip && session_.surface() < 0) {
        auto* help = static_cast<QHelpEvent*>(e);
        const auto told = toldOf(toFloor(help->pos()));
        told.isEmpty() ? QToolTip::hideText() : QToolTip::showText(help->globalPos(), told, this);
        return true;
    }
    // Tab goes from piece to piece, and on to the next panel past the last one.
    if (e->type() == QEvent::KeyPress) {
        auto* k = static_cast<QKeyEvent*>(e);
        const bool back = k->key() == Qt::Key_Backtab;
        if ((k->key() == Qt::Key_Tab || back) && (k->modifiers() & Qt::ControlModifier) == 0) {
            std::vector<int> ids;
            const Scheme& s = session_.project()->scheme();
            for (const Piece& p : session_.surface() < 0 ? s.pieces : s.hung)
                if (p.wall == session_.surface())
                    ids.push_back(p.id);
            if (session_.surface() >= 0)
                for (const auto& at : standingBefore(*session_.scene(), session_.surface()))
                    ids.push_back(session_.scene()->piece(at.index).id);
            int at = back ? static_cast<int>(ids.size()) : -1;
            for (std::size_t i = 0; i < ids.size(); ++i)
                if (session_.selected().size() == 1 && ids[i] == session_.selected().front())
                    at = static_cast<int>(i);
            const int next = at + (back ? -1 : 1);
            if (next >= 0 && next < static_cast<int>(ids.size())) {
                session_.select({ids[static_cast<std::size_t>(next)]});
                return true;
            }
        }
    }
    return QWidget::event(e);
}

void Board::keyPressEvent(QKeyEvent* e) {
    const Notation n = session_.project()->notation;
    const bool big = (e->modifiers() & Qt::ShiftModifier) != 0;
    const double step = (big ? sheets::graphSquare(n) : division(n)).mm();
    const bool keep = (e->modifiers() & Qt::ControlModifier) != 0;
    switch (e->key()) {
    case Qt::Key_Left:
        return nudge({-step, 0}, keep);
    case Qt::Key_Right:
        return nudge({step, 0}, keep);
    case Qt::Key_Up:
        return nudge({0, -step}, keep);
    case Qt::Key_Down:
        return nudge({0, step}, keep);
    case Qt::Key_Space:
        if (!e->isAutoRepeat()) {
            spaceHeld_ = true;
            setCursor(Qt::OpenHandCursor);
        }
        return;
    case Qt::Key_Escape:
        if (hand_ != Hand::free) {
            cancelHand();
        } else if (taping_) {
            if (tapeStart_)
                tapeStart_.reset();
            else
                setTaping(false);
        } else if (!tapes_.empty() && session_.selected().empty()) {
            clearTapes();
        } else if (session_.surface() >= 0 && session_.selected().empty()) {
            session_.goTo(-1);
        } else {
            session_.select({});
        }
        update();
        return;
    default:
        QWidget::keyPressEvent(e);
    }
}

void Board::keyReleaseEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Space && !e->isAutoRepeat()) {
        spaceHeld_ = false;
        setCursor(taping_ ? Qt::CrossCursor : Qt::ArrowCursor);
    }
    QWidget::keyReleaseEvent(e);
}

} // namespace mezzet::app
