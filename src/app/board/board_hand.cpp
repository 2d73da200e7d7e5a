// What the hand does on the board: presses, drags, turns, sweeps, tapes.
#include "app/board/board.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "edit/line.h"
#include "geometry/polygon.h"
#include "scheme/rug.h"

#include <QApplication>
#include <QContextMenuEvent>
#include <QMouseEvent>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {} // namespace

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

void Board::take(std::unique_ptr<Hand> hand) {
    hand_ = std::move(hand);
    setCursor(hand_ ? hand_->cursor() : taping_ ? Qt::CrossCursor : Qt::ArrowCursor);
}

void Board::mousePressEvent(QMouseEvent* e) {
    setFocus();
    const QPointF at = e->position();
    if (auto* draw = dynamic_cast<DrawHand*>(hand_.get());
        draw != nullptr && e->button() == Qt::LeftButton) {
        draw->press(at, e->modifiers());
        if (draw->done())
            take({});
        return;
    }
    if (e->button() == Qt::MiddleButton || (e->button() == Qt::LeftButton && spaceHeld_))
        return take(std::make_unique<PanHand>(*this, at));
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
        return take(std::make_unique<TurnHand>(*this));
    }
    for (const OutlineSquare& s : outlineSquares())
        if (std::hypot(s.at.x() - at.x(), s.at.y() - at.y()) < 7)
            return take(std::make_unique<OutlineHand>(*this, s.edge, s.corner));
    if (const auto corner = sizeSquareAt(at))
        return take(std::make_unique<SizeHand>(*this, *corner));
    const int id = pieceAt(e->position());
    if (id == 0 && unrolled_ && session_.surface().isWall()) {
        const Vec2 there = toFloor(e->position());
        const Room& room = *session_.project()->room;
        for (const auto& [wall, corner] : wallsBeside()) {
            const Vec2 off = there - corner;
            if (off.x > 0 && off.x < room.walls[static_cast<std::size_t>(wall)].length().mm() &&
                off.y < 0 && off.y > -room.ceiling.mm()) {
                session_.goTo(onWall(wall));
                return;
            }
        }
    }
    if (id == 0) {
        if ((e->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) == 0)
            session_.select({});
        return take(std::make_unique<SweepHand>(*this, at));
    }
    if ((e->modifiers() & Qt::ControlModifier) != 0 && !session_.isSelected(id)) {
        session_.toggle(id);
        return;
    }
    // What is chosen already is pressed again: what is under it is reached so.
    const bool again = session_.selected().size() == 1 && [&] {
        const auto all = piecesAt(e->position());
        return std::find(all.begin(), all.end(), session_.selected().front()) != all.end();
    }();
    if (again && session_.surface().isFloor()) {
        take(std::make_unique<PressHand>(*this, at, false, true));
        return;
    }
    // A piece of the chosen group is chosen when the press is let go without a drag.
    const int group = session_.project()->scheme().byId(id)->group();
    const bool inGroup = group != 0 && session_.isSelected(group);
    if (!session_.isSelected(id) && !inGroup)
        session_.select({id});
    if (!session_.surface().isWall() || chosenHang() || chosenStand())
        take(std::make_unique<PressHand>(*this, at, inGroup, again));
}

void Board::mouseMoveEvent(QMouseEvent* e) {
    pointer_ = e->position();
    pointerIn_ = true;
    if (hand_) {
        if (auto next = hand_->move(e->position(), e->modifiers()))
            take(std::move(next));
        return;
    }
    const auto squares = outlineSquares();
    const bool onOutline = std::any_of(squares.begin(), squares.end(), [&](const OutlineSquare& s) {
        return std::hypot(s.at.x() - pointer_.x(), s.at.y() - pointer_.y()) < 7;
    });
    if (!taping_ && !spaceHeld_)
        setCursor(onOutline                ? Qt::SizeAllCursor
                  : sizeSquareAt(pointer_) ? Qt::SizeFDiagCursor
                                           : Qt::ArrowCursor);
    update(0, 0, width(), static_cast<int>(ruler));
    update(0, 0, static_cast<int>(ruler), height());
    if (taping_ && tapeStart_)
        update();
}

void Board::mouseReleaseEvent(QMouseEvent* e) {
    if (dynamic_cast<DrawHand*>(hand_.get()) != nullptr)
        return; // it holds until the outline is closed
    // What comes of it may end the hand; the sheet stays where it is meanwhile.
    const auto hand = std::move(hand_);
    take({});
    lettingGo_ = true;
    if (hand)
        hand->release(e->position(), e->modifiers());
    lettingGo_ = false;
    update();
}

void Board::cancelHand() {
    const auto hand = std::move(hand_);
    take({});
    if (hand)
        hand->cancel();
}

void Board::panBy(QPointF step) {
    camera_.origin += step;
    fitted_ = false;
    update();
}

void Board::mouseDoubleClickEvent(QMouseEvent* e) {
    const int id = pieceAt(e->position());
    if (id == 0)
        return zoomToFit();
    session_.select({id});
    emit editWanted(id);
}

void Board::contextMenuEvent(QContextMenuEvent* e) {
    if (hand_)
        return;
    if (e->reason() == QContextMenuEvent::Mouse)
        if (const int id = pieceAt(e->pos()); id != 0 && !session_.isSelected(id))
            session_.select({id});
    emit menuWanted(e->reason() == QContextMenuEvent::Mouse ? e->globalPos()
                                                            : mapToGlobal(rect().center()));
}

std::optional<Vec2> Board::sizeSquareAt(QPointF at) const {
    if (session_.selected().size() != 1 || taping_)
        return {};
    const Piece* p = session_.project()->scheme().byId(session_.selected().front());
    const Placed* where = session_.scene()->byId(session_.selected().front());
    if (p == nullptr || where == nullptr || p->locked || p->isGroup() || isCut(*p))
        return {};
    const bool hangs = p->onWall();
    if (hangs ? session_.surface() != p->on : !session_.surface().isFloor() || !p->on.isFloor())
        return {};
    const double w = p->size.width.mm() / 2;
    const double h = (hangs ? p->size.height : p->size.depth).mm() / 2;
    constexpr double reach = 7; // pixels
    for (const Vec2 side : {Vec2{-1, -1}, Vec2{1, -1}, Vec2{1, 1}, Vec2{-1, 1}}) {
        const Vec2 local{side.x * w, side.y * h};
        const QPointF corner = hangs ? toScreen(onSurface(where->pose.at + local))
                                     : toScreen(where->pose.toRoom(local));
        if (std::hypot(corner.x() - at.x(), corner.y() - at.y()) < reach)
            return side;
    }
    return {};
}

std::vector<Board::OutlineSquare> Board::outlineSquares() const {
    std::vector<OutlineSquare> out;
    if (session_.selected().size() != 1 || taping_ || !session_.surface().isFloor())
        return out;
    const Piece* p = session_.project()->scheme().byId(session_.selected().front());
    const Placed* where = session_.scene()->byId(session_.selected().front());
    if (p == nullptr || where == nullptr || p->locked || !isCut(*p))
        return out;
    const auto sides = sidesOf(*p, where->pose);
    constexpr double least = 26; // pixels: a shorter edge has no room for a square of its own
    for (std::size_t i = 0; i < sides.size(); ++i) {
        const QPointF a = toScreen(sides[i].from);
        const QPointF b = toScreen(sides[i].to);
        out.push_back({a, 0, static_cast<int>(i) + 1});
        if (std::hypot(b.x() - a.x(), b.y() - a.y()) > least)
            out.push_back({(a + b) / 2, static_cast<int>(i) + 1, 0});
    }
    return out;
}

// ---- pieces dragged from the list ----

/// The line that adds what is dragged where the pointer is; empty when it is nothing to add here.
QString Board::lineFor(const QMimeData* dragged, QPointF at) const {
    if (dragged == nullptr || !dragged->hasFormat(addMime) ||
        session_.project()->room->walls.empty())
        return {};
    const Notation n = session_.project()->notation;
    const double unit = isMetric(n.units) ? 10 : 25.4;
    const Vec2 there = onSurface(toFloor(at));
    const auto told = [&](double mm) {
        return QString::fromStdString(write(Length::millimetres(std::round(mm / unit) * unit), n));
    };
    auto line = QString::fromUtf8(dragged->data(addMime));
    if (session_.surface().isWall())
        line += tr(" on wall ") + QString::fromStdString(wallName(session_.surface().wall())) + ",";
    return line + tr(" at %1, %2").arg(told(there.x), told(there.y));
}

void Board::dragEnterEvent(QDragEnterEvent* e) {
    if (!lineFor(e->mimeData(), e->position()).isEmpty())
        e->acceptProposedAction();
}

void Board::dragMoveEvent(QDragMoveEvent* e) {
    const auto line = lineFor(e->mimeData(), e->position());
    const auto said =
        readLine(line.toStdString(), *session_.settledProject(), 0, session_.surface());
    if (!said || !session_.tryOut(said->edit)) {
        session_.endTrial();
        return e->ignore();
    }
    e->acceptProposedAction();
}

void Board::dragLeaveEvent(QDragLeaveEvent*) {
    session_.endTrial();
}

void Board::dropEvent(QDropEvent* e) {
    session_.endTrial();
    const auto line = lineFor(e->mimeData(), e->position());
    if (line.isEmpty())
        return;
    e->acceptProposedAction();
    // Through a wall, or over another: what is dropped there is meant.
    session_.sayLine(line + " anyway");
    setFocus();
}

} // namespace mezzet::app
