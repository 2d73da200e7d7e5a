#include "app/board/board.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "edit/held_step.h"
#include "geometry/polygon.h"

#include "scheme/rug.h"

#include <QApplication>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QToolTip>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

Board::Board(JobSession& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName("board");
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_OpaquePaintEvent);
    setMouseTracking(true);
    setAcceptDrops(true);
    setMinimumSize(320, 260);
    setAccessibleName(tr("Board"));
    connect(&session, &JobSession::jobChanged, this, [this] {
        if (fitted_ && !hand_ && !lettingGo_)
            zoomToFit();
        describe();
        update();
    });
    connect(&lit_, &LitState::found, this, [this] { update(); });
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
    parts << capitalised(surfaceName(session_.surface(), session_.project()->wording()));
    for (const int id : session_.selected())
        if (const auto* p = session_.project()->scheme().byId(id))
            parts << QString::fromStdString(p->name + ", " +
                                            footprintWords(*p, session_.project()->notation));
    parts << QString(session_.judgedWhole() ? tr("%1 to mend") : tr("%1 to mend so far"))
                 .arg(session_.toMend());
    setAccessibleDescription(parts.join(". "));
}

// ---- places ----

QRectF Board::sheetArea() const {
    return QRectF(rect()).adjusted(ruler, ruler, 0, 0);
}

sheets::Drawing Board::drawing(QPainter& p) const {
    return {p, look(), camera_.origin, camera_.scale, 1, session_.project()->notation};
}

Box Board::contentBounds() const {
    const Room& room = *session_.project()->room;
    if (session_.surface().isWall()) {
        Box b;
        b.include(Vec2{0, 0});
        b.include(
            Vec2{room.walls[static_cast<std::size_t>(session_.surface().wall())].length().mm(),
                 -room.ceiling.mm()});
        if (unrolled_)
            for (const auto& [wall, at] : wallsBeside()) {
                b.include(at - Vec2{0, room.ceiling.mm()});
                b.include(at + Vec2{room.walls[static_cast<std::size_t>(wall)].length().mm(), 0});
            }
        return b;
    }
    Box b = room.bounds();
    for (const auto& p : session_.scene()->floor.placed)
        b.include(bounds(p.shape));
    if (b.empty()) {
        b.include(Vec2{0, 0});
        b.include(Vec2{5000, 4000});
    }
    return b;
}

void Board::fit(const Box& b, double margin) {
    camera_.fit(b, sheetArea().adjusted(margin, margin, -margin, -margin));
    emit zoomChanged();
    update();
}

void Board::zoomToFit() {
    fit(contentBounds(), !session_.surface().isWall() ? 66
                         : unrolled_                  ? wallMargin / 2
                                                      : wallMargin);
    fitted_ = true;
}

void Board::zoomToSelection() {
    Box b;
    for (const int id : session_.selected())
        if (const auto* p = session_.surface().isWall() ? session_.scene()->byId(id)
                                                        : session_.scene()->inPlan(id)) {
            const Box own = bounds(p->shape);
            const Piece& piece = *session_.scene()->pieceById(id);
            if (session_.surface().isWall() && piece.on != session_.surface())
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
    camera_.zoomBy(factor, about);
    fitted_ = false;
    emit zoomChanged();
    update();
}

void Board::resizeEvent(QResizeEvent*) {
    if (fitted_)
        zoomToFit();
}

std::vector<int> Board::piecesAt(QPointF at) const {
    std::vector<int> out;
    const Vec2 p = onSurface(toFloor(at));
    const Scene& scene = *session_.scene();
    if (session_.surface().isWall()) {
        const WallsView walls(scene);
        for (std::size_t i = walls.hung.size(); i-- > 0;)
            if (const Piece& piece = walls.hungPiece(i); piece.on == session_.surface() &&
                                                         !piece.isGroup() &&
                                                         contains(walls.hung[i].shape, p))
                out.push_back(piece.id);
        const auto standing = standingBefore(scene, session_.surface().wall());
        for (auto it = standing.rbegin(); it != standing.rend(); ++it) {
            const Piece& piece = FloorView(scene).piece(it->index);
            if (p.x >= it->left && p.x <= it->right && p.y >= it->base &&
                p.y <= it->base + piece.size.height.mm())
                out.push_back(piece.id);
        }
    } else if (session_.surface().isCeiling()) {
        const CeilingView above(scene);
        for (std::size_t i = above.placed.size(); i-- > 0;)
            if (contains(above.placed[i].shape, p))
                out.push_back(above.placed[i].id);
    } else {
        const FloorView floor(scene);
        for (const bool flat : {false, true})
            for (std::size_t i = floor.placed.size(); i-- > 0;)
                if (floor.piece(i).kind->flat() == flat &&
                    covers(floor.piece(i), floor.placed[i].shape, floor.placed[i].pose, p))
                    out.push_back(floor.placed[i].id);
    }
    return out;
}

void Board::chooseBelow(QPointF at) {
    const auto all = piecesAt(at);
    const auto it = session_.selected().size() == 1
                        ? std::find(all.begin(), all.end(), session_.selected().front())
                        : all.end();
    if (it != all.end() && all.size() > 1)
        session_.select({it + 1 == all.end() ? all.front() : *(it + 1)});
}

int Board::pieceAt(QPointF at) const {
    if (const int id = hungAt(at); id != 0) {
        // A group is taken as one, until it is chosen and pressed again.
        const int group = session_.project()->scheme().byId(id)->group();
        return group != 0 && !session_.isSelected(group) && !session_.isSelected(id) ? group : id;
    }
    const auto all = piecesAt(at);
    return all.empty() ? 0 : all.front();
}

std::optional<QPointF> Board::turnHandle() const {
    if (session_.surface().isWall() || session_.selected().size() != 1 || taping_)
        return {};
    const Scene& scene = *session_.scene();
    const int id = session_.selected().front();
    const Piece* p = scene.pieceById(id);
    const Placed* where = scene.inPlan(id);
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
            if (const auto* p = scene.inPlan(e.target.piece))
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

void Board::drawRug() {
    setTaping(false);
    session_.goTo(theFloor());
    session_.select({});
    take(std::make_unique<DrawHand>(*this));
    setFocus();
    update();
}

void Board::setTaping(bool on) {
    if (taping_ == on)
        return;
    taping_ = on;
    tapeStart_.reset();
    setCursor(on ? Qt::CrossCursor : Qt::ArrowCursor);
    emit tapingChanged(on);
    if (on && session_.surface().isWall())
        session_.goTo(theFloor());
    update();
}

void Board::setShown(Over o, bool on) {
    shown_[static_cast<std::size_t>(o)] = on;
    const bool ofWalls = o == Over::hooks || o == Over::reflected;
    if (on && session_.surface().isWall() && !ofWalls)
        session_.goTo(theFloor());
    update();
}

void Board::lightNextScene() {
    const auto scenes = static_cast<int>(session_.project()->scheme().light.scenes.size());
    lightScene_ = lightScene_ + 1 < scenes ? lightScene_ + 1 : -1;
    if (!shown(Over::light))
        setShown(Over::light, true);
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
    session_.clearTapes();
    tapeStart_.reset();
    update();
}

void Board::leaveEvent(QEvent*) {
    pointerIn_ = false;
    update();
}

void Board::wheelEvent(QWheelEvent* e) {
    if (!e->pixelDelta().isNull() && (e->modifiers() & Qt::ControlModifier) == 0) {
        camera_.origin += e->pixelDelta();
        fitted_ = false;
        update();
        return;
    }
    zoomBy(std::pow(1.0015, e->angleDelta().y()), e->position());
}

void Board::nudge(Vec2 step, bool keepTies) {
    if (session_.selected().empty() ||
        (session_.surface().isWall() && !chosenHang() && !chosenStand()))
        return;
    const Vec2 by = stepOf(step);
    if (norm(by) < 1e-9)
        return; // what stands on the floor goes neither up nor down
    const auto mode = keepTies ? DragTies::keep : DragTies::revalue;
    auto moved = drag(*session_.project(), *session_.scene(), session_.selected(), by, mode);
    if (moved.edit.acts.empty()) {
        emit session_.told("It is locked. Unlock it first (L).", true);
        return;
    }
    // A wall stops it.
    const auto after = mezzet::apply(*session_.project(), moved.edit);
    if (after &&
        goesThrough(*after->project, *session_.scene(), *after->scene, session_.selected()) != 0) {
        const auto held =
            heldStep(*session_.project(), *session_.scene(), session_.selected(), by, mode);
        if (norm(held.step) < 0.01) {
            emit session_.told("It stops at " + QString::fromStdString(held.stops) +
                                   tr(". Dragged with Alt it goes through."),
                               true);
            return;
        }
        moved = drag(*session_.project(), *session_.scene(), session_.selected(), held.step, mode);
    }
    // Nudges of the same pieces are one step back.
    QString run = keepTies ? tr("nudge, ties kept") : "nudge";
    for (const int id : session_.selected())
        run += " " + QString::number(id);
    session_.apply(moved.edit, run);
}

void Board::applyAndTell(const Edit& edit) {
    const auto before = session_.scene();
    session_.apply(edit);
    const int id =
        goesThrough(*session_.project(), *before, *session_.scene(), session_.selected());
    if (const Piece* p = session_.scene()->pieceById(id); id != 0 && p != nullptr)
        emit session_.told(QString::fromStdString(p->name) +
                               tr(" goes through a wall, or into what is built in. Ctrl+Z takes it "
                                  "back."),
                           true);
}

bool Board::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(e);
        const auto told = toldAt(help->pos());
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
            for (const Piece& p : s.pieces)
                if (session_.shownOn(p) == session_.surface())
                    ids.push_back(p.id);
            if (session_.surface().isWall())
                for (const auto& at : standingBefore(*session_.scene(), session_.surface().wall()))
                    ids.push_back(session_.scene()->floor.placed[at.index].id);
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
    if (auto* draw = dynamic_cast<DrawHand*>(hand_.get()); draw != nullptr && draw->key(e)) {
        if (draw->done())
            take({});
        return;
    }
    const Notation n = session_.project()->notation;
    // An inch or a centimetre; with Shift a graph square, with Ctrl and Shift the tape's own
    // division.
    const bool shift = (e->modifiers() & Qt::ShiftModifier) != 0;
    const bool fine = shift && (e->modifiers() & Qt::ControlModifier) != 0;
    const bool big = shift && !fine;
    const Length usual = session_.project()->library.book->habit("step-slight");
    const double step = (big ? sheets::graphSquare(n) : fine ? division(n) : usual).mm();
    const bool keep = !shift && (e->modifiers() & Qt::ControlModifier) != 0;
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
        if (hand_) {
            cancelHand();
        } else if (taping_) {
            if (tapeStart_)
                tapeStart_.reset();
            else
                setTaping(false);
        } else if (!session_.marks().empty()) {
            session_.clearMarks();
        } else if (!tapes().empty() && session_.selected().empty()) {
            clearTapes();
        } else if (!session_.surface().isFloor() && session_.selected().empty()) {
            session_.goTo(theFloor());
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

void Board::takeUnderlay() {
    const auto& u = session_.project()->underlay;
    if (u == underlayOf_)
        return;
    underlayOf_ = u;
    underlay_ = u ? QImage::fromData(QByteArray::fromBase64(QByteArray::fromStdString(u->picture)))
                  : QImage();
}

} // namespace mezzet::app
