#include "app/board/hand.h"

#include "app/board/board.h"
#include "app/look/style.h"
#include "edit/pieces.h"
#include "judge/deadline.h"
#include "judge/safe_snap.h"
#include "scheme/clearance.h"

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

constexpr double startDrag = 4; ///< pixels before a press becomes a drag
/// A snap that can't be looked at in this time is not offered.
constexpr std::chrono::milliseconds snapTakes{40};

} // namespace

std::unique_ptr<Hand> PanHand::move(QPointF at, Qt::KeyboardModifiers) {
    board_.panBy(at - last_);
    last_ = at;
    return {};
}

std::unique_ptr<Hand> SweepHand::move(QPointF at, Qt::KeyboardModifiers) {
    to_ = at;
    const QRectF swept = QRectF(from_, to_).normalized();
    JobSession& session = board_.session();
    const SurfaceId surface = session.surface();
    std::vector<int> ids;
    const Scene& scene = *session.scene();
    const WallsView walls(scene);
    if (!surface.isWall()) {
        for (const auto& p : surface.isCeiling() ? scene.ceiling.placed : scene.floor.placed)
            if (swept.contains(board_.toScreen(p.pose.at)))
                ids.push_back(p.id);
    } else {
        for (std::size_t i = 0; i < walls.hung.size(); ++i)
            if (const Piece& p = walls.hungPiece(i);
                p.on == surface && p.group() == 0 &&
                swept.contains(board_.toScreen(board_.onSurface(walls.hung[i].pose.at))))
                ids.push_back(p.id);
    }
    session.select(ids);
    board_.update();
    return {};
}

void SweepHand::paint(QPainter& p) const {
    QColor wash = look().chosen;
    wash.setAlphaF(0.12F);
    p.setPen(QPen(look().chosen, 1, Qt::DashLine));
    p.setBrush(wash);
    p.drawRect(QRectF(from_, to_).normalized());
}

Result<Edit> TurnHand::turned() const {
    JobSession& session = board_.session();
    return turnBy(*session.settledProject(), *session.settledScene(), session.selected(), by_);
}

std::unique_ptr<Hand> TurnHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    if (session.selected().empty())
        return {};
    const Placed* where = session.settledScene()->inPlan(session.selected().front());
    if (where == nullptr)
        return {};
    const Vec2 to = board_.toFloor(at) - where->pose.at;
    const double stops = (keys & Qt::ShiftModifier) != 0 ? 1.0 : 5.0;
    const double degrees = (directionOf(to) - Angle::degrees(90)).inDegrees();
    const Angle want = Angle::degrees(std::round(degrees / stops) * stops);
    by_ = difference(want, where->pose.turn);
    if (auto edit = turned())
        session.tryOut(*edit);
    return {};
}

void TurnHand::release(QPointF, Qt::KeyboardModifiers) {
    auto edit = turned();
    board_.session().endTrial();
    if (edit && std::abs(by_.inDegrees()) > 0.01)
        board_.session().apply(*edit);
}

void TurnHand::cancel() {
    board_.session().endTrial();
}

std::unique_ptr<Hand> SizeHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    last_ = at;
    const int id = session.selected().empty() ? 0 : session.selected().front();
    const Piece* now = session.settledProject()->scheme().byId(id);
    const Placed* where = session.settledScene()->byId(id);
    if (now == nullptr || where == nullptr)
        return {};
    const bool hangs = now->onWall();
    const Vec2 there = board_.toFloor(at);
    const Vec2 local =
        hangs ? board_.onSurface(there) - where->pose.at : where->pose.toLocal(there);
    const bool fromMiddle = (keys & Qt::ControlModifier) != 0;
    const Notation n = session.project()->notation;
    const double stop = (keys & Qt::ShiftModifier) != 0 ? division(n).mm()
                        : isMetric(n.units)             ? 50
                                                        : 25.4;
    const double halfWide = now->size.width.mm() / 2;
    const double halfDeep = (hangs ? now->size.height : now->size.depth).mm() / 2;
    const auto wanted = [&](double reach, double half) {
        const double whole = fromMiddle ? 2 * reach : reach + half;
        return std::max(stop, std::round(whole / stop) * stop);
    };
    const Edit edit =
        sizeByCorner(*session.settledProject(), *session.settledScene(), id, corner_,
                     Length::millimetres(wanted(local.x * corner_.x, halfWide)),
                     Length::millimetres(wanted(local.y * corner_.y, halfDeep)), fromMiddle);
    const Size size = std::get<PutPiece>(edit.acts.front()).piece.size;
    figures_ = QString::fromStdString(writeGap(size.width, n) + " x " +
                                      writeGap(hangs ? size.height : size.depth, n));
    session.tryOut(edit);
    edit_ = edit;
    board_.update();
    return {};
}

void SizeHand::release(QPointF, Qt::KeyboardModifiers) {
    board_.session().endTrial();
    if (edit_)
        board_.session().apply(*edit_);
}

void SizeHand::cancel() {
    board_.session().endTrial();
}

void SizeHand::paintOver(QPainter& p) const {
    if (figures_.isEmpty())
        return;
    p.setFont(sheets::lettering(14));
    const double w = p.fontMetrics().horizontalAdvance(figures_) + 18;
    QRectF box(last_.x() + 16, last_.y() + 16, w, 24);
    box.moveRight(std::min(box.right(), board_.width() - 6.0));
    box.moveBottom(std::min(box.bottom(), board_.height() - 6.0));
    p.setPen(QPen(look().chosen, 1.4));
    p.setBrush(look().field);
    p.drawRoundedRect(box, 5, 5);
    p.setPen(look().ink);
    p.drawText(box, Qt::AlignCenter, figures_);
}

std::unique_ptr<Hand> PressHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    if ((at - at_).manhattanLength() < startDrag)
        return {};
    auto drag = std::make_unique<DragHand>(board_, at_);
    drag->move(at, keys);
    return drag;
}

void PressHand::release(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    if ((keys & Qt::ControlModifier) != 0) {
        if (const int id = board_.pieceAt(at); id != 0)
            session.toggle(id);
    } else if (inGroup_) {
        if (const int id = board_.hungAt(at); id != 0)
            session.select({id});
    } else if (session.selected().size() > 1) {
        if (const int id = board_.pieceAt(at); id != 0)
            session.select({id});
    } else if (deeper_) {
        board_.chooseBelow(at);
    }
}

Vec2 DragHand::fine(Vec2 step) const {
    // Fine where the eye can be fine: the tape's own division close up, coarser from afar.
    double unit = division(board_.session().project()->notation).mm();
    while (unit * board_.pixelsPerMm() < 0.6)
        unit *= 2;
    return {std::round(step.x / unit) * unit, std::round(step.y / unit) * unit};
}

std::unique_ptr<Hand> DragHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    last_ = at;
    const double scale = board_.pixelsPerMm();
    step_ = board_.stepOf(fine(Vec2{at.x() - from_.x(), at.y() - from_.y()} / scale));
    const auto mode = (keys & Qt::ShiftModifier) != 0     ? DragTies::keep
                      : (keys & Qt::ControlModifier) != 0 ? DragTies::drop
                                                          : DragTies::revalue;
    // One piece finds what it lines up with; Alt leaves it to the hand.
    snap_.reset();
    constexpr double snapPixels = 7;
    if (mode == DragTies::revalue && session.selected().size() == 1 &&
        (keys & Qt::AltModifier) == 0)
        snap_ = safeSnapFor(*session.settledProject(), *session.settledScene(),
                            session.selected().front(), step_,
                            Length::millimetres(snapPixels / scale), within(snapTakes));
    if (snap_)
        step_ = snap_->step;
    drag_ =
        drag(*session.settledProject(), *session.settledScene(), session.selected(), step_, mode);
    if (!drag_->edit.acts.empty())
        session.tryOut(drag_->edit);
    board_.update();
    return {};
}

void DragHand::release(QPointF, Qt::KeyboardModifiers) {
    JobSession& session = board_.session();
    session.endTrial();
    if (!drag_)
        return;
    Edit edit = snap_ ? snappedEdit(*session.project(), *session.scene(),
                                    session.selected().front(), *snap_)
                      : drag_->edit;
    if (edit.acts.empty())
        emit session.told("It is locked. Unlock it first (L).", true);
    else if (norm(step_) > 1e-6)
        session.apply(edit);
}

void DragHand::cancel() {
    board_.session().endTrial();
}

void DragHand::letter(const sheets::Drawing& d) const {
    JobSession& session = board_.session();
    if (session.selected().size() != 1)
        return;
    const int id = session.selected().front();
    const SurfaceId on = session.surface();
    std::vector<Clearance> all;
    if (on.isFloor())
        all = clearancesAbout(FloorView(*session.scene()), id);
    else if (on.isWall())
        all = clearancesAbout(WallsView(*session.scene()), id);
    for (const Clearance& c : all) {
        const QPointF a = d.at(board_.onSurface(c.from));
        const QPointF b = d.at(board_.onSurface(c.to));
        d.painter.setPen(QPen(look().chosen, 1));
        d.painter.drawLine(a, b);
        sheets::drawChip(d, a, b,
                         {QString::fromStdString(writeGap(c.apart(), d.notation)),
                          sheets::lettering(12), look().ink, look().chosen, look().field, 0.8,
                          false, 3, std::nullopt, 55});
    }
}

void DragHand::paint(QPainter& p) const {
    if (!snap_)
        return;
    if (board_.session().surface().isWall() && !board_.chosenHang())
        return; // its lines lie on the floor
    p.setPen(QPen(look().chosen, 1.4, Qt::DashLine));
    for (const Segment& s : snap_->lines)
        p.drawLine(board_.toScreen(board_.onSurface(s.from)),
                   board_.toScreen(board_.onSurface(s.to)));
}

/// Which ties the drag changes, beside the pointer, as it happens.
void DragHand::paintOver(QPainter& p) const {
    if (!drag_ || (drag_->changes.empty() && !snap_))
        return;
    const QFont font = sheets::sans(13);
    const QFontMetricsF m(font);
    QStringList before;
    QStringList after;
    double w = 0;
    QString offer;
    if (snap_) {
        offer = "let go: " + QString::fromStdString(snap_->words);
        w = m.horizontalAdvance(offer) + 24;
    }
    for (const auto& c : drag_->changes) {
        before << QString::fromStdString(c.before);
        after << (c.after.empty() ? QString("let go") : QString::fromStdString(c.after));
        w = std::max(w,
                     m.horizontalAdvance(before.last()) + m.horizontalAdvance(after.last()) + 54);
    }
    const double row = 20;
    QRectF box(last_.x() + 18, last_.y() + 18, w,
               row * static_cast<double>(before.size() + (snap_ ? 1 : 0)) + 12);
    box.moveRight(std::min(box.right(), board_.width() - 6.0));
    box.moveBottom(std::min(box.bottom(), board_.height() - 6.0));
    p.setPen(QPen(look().panelEdge, 1));
    p.setBrush(look().field);
    p.drawRoundedRect(box, 6, 6);
    double y = box.top() + 6;
    for (qsizetype i = 0; i < before.size(); ++i, y += row) {
        const bool gone = drag_->changes[static_cast<std::size_t>(i)].after.empty();
        QFont old = font;
        old.setStrikeOut(true);
        p.setFont(old);
        p.setPen(look().soft);
        p.drawText(QPointF(box.left() + 12, y + 14), before[i]);
        const double x = box.left() + 12 + QFontMetricsF(old).horizontalAdvance(before[i]) + 10;
        p.drawLine(QPointF(x, y + 10), QPointF(x + 10, y + 10));
        p.drawLine(QPointF(x + 10, y + 10), QPointF(x + 6, y + 7));
        p.drawLine(QPointF(x + 10, y + 10), QPointF(x + 6, y + 13));
        p.setFont(font);
        p.setPen(gone ? look().tight : look().ink);
        p.drawText(QPointF(x + 18, y + 14), after[i]);
    }
    if (snap_) {
        p.setFont(sheets::sans(13, QFont::DemiBold));
        p.setPen(look().chosen);
        p.drawText(QPointF(box.left() + 12, y + 14), offer);
    }
}

} // namespace mezzet::app
