// What the hand does on the board: presses, drags, turns, sweeps, tapes.
#include "app/board/board.h"
#include "app/look/style.h"
#include "geometry/polygon.h"
#include "judge/deadline.h"
#include "judge/safe_snap.h"

#include <QApplication>
#include <QMouseEvent>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

constexpr double ruler = Board::rulerWidth;
constexpr double startDrag = 4; ///< pixels before a press becomes a drag
/// A snap that can't be looked at in this time is not offered.
constexpr std::chrono::milliseconds snapTakes{40};

} // namespace

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
        if (norm(end.point - nearestOn({w.start, w.end}, end.point)) * camera_.scale <
            std::max(8.0, sheets::drawnWall.mm() * camera_.scale)) {
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
    while (unit * camera_.scale < 0.6)
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
            session_.addTape({*tapeStart_, end});
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
    if (id == 0 && unrolled_ && session_.surface().isWall()) {
        const double along = toFloor(e->position()).x;
        for (const auto& [wall, left] : wallsBeside())
            if (along > left && along < left + session_.project()
                                                   ->room->walls[static_cast<std::size_t>(wall)]
                                                   .length()
                                                   .mm()) {
                session_.goTo(onWall(wall));
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
    if (!session_.surface().isWall() || chosenHang())
        hand_ = Hand::pressed;
}

void Board::mouseMoveEvent(QMouseEvent* e) {
    pointer_ = e->position();
    pointerIn_ = true;
    switch (hand_) {
    case Hand::panning:
        camera_.origin += e->position() - lastAt_;
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
        const WallsView walls(scene);
        if (!session_.surface().isWall()) {
            for (const auto& p :
                 session_.surface().isCeiling() ? scene.ceiling.placed : scene.floor.placed)
                if (swept.contains(toScreen(p.pose.at)))
                    ids.push_back(p.id);
        } else {
            for (std::size_t i = 0; i < walls.hung.size(); ++i)
                if (const Piece& p = walls.hungPiece(i);
                    p.on == session_.surface() && p.group() == 0 &&
                    swept.contains(toScreen(onSurface(walls.hung[i].pose.at))))
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
    step_ =
        onSurface(snapped(Vec2{at.x() - pressedAt_.x(), at.y() - pressedAt_.y()} / camera_.scale));
    const auto mode = (keys & Qt::ShiftModifier) != 0     ? DragTies::keep
                      : (keys & Qt::ControlModifier) != 0 ? DragTies::drop
                                                          : DragTies::revalue;
    // One piece finds what it lines up with; Alt leaves it to the hand.
    snap_.reset();
    constexpr double snapPixels = 7;
    if (mode == DragTies::revalue && session_.selected().size() == 1 &&
        (keys & Qt::AltModifier) == 0)
        snap_ = safeSnapFor(*session_.settledProject(), *session_.settledScene(),
                            session_.selected().front(), step_,
                            Length::millimetres(snapPixels / camera_.scale), within(snapTakes));
    if (snap_)
        step_ = snap_->step;
    drag_ = drag(*session_.settledProject(), *session_.settledScene(), session_.selected(), step_,
                 mode);
    if (!drag_->edit.acts.empty())
        session_.tryOut(drag_->edit);
    update();
}

Result<Edit> Board::turned() const {
    return turnBy(*session_.settledProject(), *session_.settledScene(), session_.selected(),
                  turnedBy_);
}

void Board::turnTo(QPointF at, Qt::KeyboardModifiers keys) {
    const Placed* where = session_.settledScene()->inPlan(session_.selected().front());
    if (where == nullptr)
        return;
    const Vec2 to = toFloor(at) - where->pose.at;
    const double fine = (keys & Qt::ShiftModifier) != 0 ? 1.0 : 5.0;
    const double degrees = (directionOf(to) - Angle::degrees(90)).inDegrees();
    const Angle want = Angle::degrees(std::round(degrees / fine) * fine);
    turnedBy_ = difference(want, where->pose.turn);
    if (auto edit = turned())
        session_.tryOut(*edit);
}

void Board::mouseReleaseEvent(QMouseEvent* e) {
    const Hand was = hand_;
    if (was == Hand::dragging) {
        finishDrag();
    } else if (was == Hand::turning) {
        auto edit = turned();
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
    if (done && snap)
        done->edit =
            snappedEdit(*session_.project(), *session_.scene(), session_.selected().front(), *snap);
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

} // namespace mezzet::app
