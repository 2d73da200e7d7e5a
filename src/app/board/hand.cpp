#include "app/board/hand.h"
#include "app/look/tr.h"

#include "app/board/board.h"
#include "app/look/style.h"
#include "edit/held_step.h"
#include "edit/pieces.h"
#include "edit/rug_outline.h"
#include "geometry/polygon.h"
#include "judge/deadline.h"
#include "judge/safe_snap.h"
#include "scheme/clearance.h"
#include "scheme/rug.h"

#include <QKeyEvent>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

constexpr double startDrag = 4; ///< pixels before a press becomes a drag
/// A snap that can't be looked at in this time is not offered.
constexpr std::chrono::milliseconds snapTakes{40};

/// Where a small field by the pointer with figures in it comes.
QRectF fieldBy(const Board& board, QPointF at, const QString& figures) {
    const double w = QFontMetricsF(sheets::lettering(14)).horizontalAdvance(figures) + 18;
    QRectF box(at.x() + 16, at.y() + 16, w, 24);
    box.moveRight(std::min(box.right(), board.width() - 6.0));
    box.moveBottom(std::min(box.bottom(), board.height() - 6.0));
    return box;
}

/// A small field by the pointer with figures in it.
void figuresBy(QPainter& p, const Board& board, QPointF at, const QString& figures) {
    p.setFont(sheets::lettering(14));
    const QRectF box = fieldBy(board, at, figures);
    p.setPen(QPen(look().chosen, 1.4));
    p.setBrush(look().field);
    p.drawRoundedRect(box, 5, 5);
    p.setPen(look().ink);
    p.drawText(box, Qt::AlignCenter, figures);
}

} // namespace

void TrialHand::cancel() {
    board_.session().endTrial();
}

void TrialHand::letter(const sheets::Drawing& d) const {
    if (!figures_.isEmpty()) // no tag lies under them
        d.labels->keepClear(fieldBy(board_, last_, figures_));
}

void TrialHand::paintOver(QPainter& p) const {
    if (!figures_.isEmpty())
        figuresBy(p, board_, last_, figures_);
}

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

namespace {

/// A place on the floor with the building's lines that are near drawn to it.
Vec2 toLines(const std::vector<FloorLine>& lines, Vec2 p, double reach) {
    const FloorLine* first = nullptr;
    for (int twice = 0; twice < 2; ++twice) {
        const FloorLine* best = nullptr;
        double least = reach;
        for (const FloorLine& l : lines) {
            const double off = std::abs(dot(l.normal, p) - l.offset);
            if (off < least && (first == nullptr || std::abs(dot(first->normal, l.normal)) < 0.9)) {
                least = off;
                best = &l;
            }
        }
        if (best == nullptr)
            break;
        p = p + best->normal * (best->offset - dot(best->normal, p));
        first = best;
    }
    return p;
}

constexpr double snapPixels = 8;

} // namespace

OutlineHand::OutlineHand(Board& of, int edge, int corner)
    : TrialHand(of), edge_(edge), corner_(corner),
      lines_(buildingLines(*of.session().project()->room)) {}

DrawHand::DrawHand(Board& of) : Hand(of), lines_(buildingLines(*of.session().project()->room)) {}

std::unique_ptr<Hand> OutlineHand::move(QPointF at, Qt::KeyboardModifiers keys) {
    JobSession& session = board_.session();
    last_ = at;
    const int id = session.selected().empty() ? 0 : session.selected().front();
    const Piece* now = session.settledProject()->scheme().byId(id);
    const Placed* where = session.settledScene()->byId(id);
    if (now == nullptr || where == nullptr)
        return {};
    const Notation n = session.project()->notation;
    const double stop = (keys & Qt::ShiftModifier) != 0 ? division(n).mm()
                        : isMetric(n.units)             ? 10
                                                        : 25.4;
    const Vec2 there = toLines(lines_, board_.toFloor(at), snapPixels / board_.pixelsPerMm());
    Piece plain = *now;
    plain.footprint.corner = {};
    const auto corners = trueOutline(plain, where->pose);
    const std::size_t count = corners.size();
    Result<Edit> edit = Problem{};
    if (edge_ > 0 && static_cast<std::size_t>(edge_) <= count) {
        const Vec2 a = corners[static_cast<std::size_t>(edge_ - 1)];
        const Vec2 b = corners[static_cast<std::size_t>(edge_) % count];
        const Vec2 out = quarter(unit(b - a)) * (signedArea(corners) > 0 ? -1.0 : 1.0);
        const Vec2 free = board_.toFloor(at);
        double by = dot(there - a, out);
        if (norm(there - free) < 1e-6)
            by = std::round(by / stop) * stop;
        edit = moveRugEdge(*session.settledProject(), *session.settledScene(), id, edge_, by);
    } else if (corner_ > 0 && static_cast<std::size_t>(corner_) <= count) {
        // Square with its neighbours, where it nearly is.
        Vec2 to = there;
        const auto i = static_cast<std::size_t>(corner_ - 1);
        for (const Vec2 by : {corners[(i + count - 1) % count], corners[(i + 1) % count]}) {
            const double reach = snapPixels / board_.pixelsPerMm();
            if (std::abs(to.x - by.x) < reach)
                to.x = by.x;
            if (std::abs(to.y - by.y) < reach)
                to.y = by.y;
        }
        edit = moveRugCorner(*session.settledProject(), *session.settledScene(), id, corner_, to);
    }
    if (!edit)
        return {};
    const Piece& put = std::get<PutPiece>(edit->acts.front()).piece;
    const auto sides = sidesOf(put, put.pose);
    const auto shown = static_cast<std::size_t>(std::max(edge_, corner_) - 1);
    figures_ = shown < sides.size()
                   ? QString::fromStdString(
                         write(sides[(shown + sides.size() - 1) % sides.size()].length, n) + ", " +
                         write(sides[shown].length, n))
                   : QString();
    session.tryOut(*edit);
    edit_ = *edit;
    board_.update();
    return {};
}

void OutlineHand::release(QPointF, Qt::KeyboardModifiers) {
    board_.session().endTrial();
    if (edit_)
        board_.session().apply(*edit_);
}

Vec2 DrawHand::snapped(QPointF at) const {
    const double reach = snapPixels / board_.pixelsPerMm();
    Vec2 p = board_.toFloor(at);
    if (!corners_.empty()) {
        // At right angles to the room, and in line with where it began.
        const Vec2 last = corners_.back();
        if (std::abs(p.x - last.x) < reach)
            p.x = last.x;
        if (std::abs(p.y - last.y) < reach)
            p.y = last.y;
        const Vec2 first = corners_.front();
        if (std::abs(p.x - first.x) < reach)
            p.x = first.x;
        if (std::abs(p.y - first.y) < reach)
            p.y = first.y;
    }
    return toLines(lines_, p, reach);
}

std::unique_ptr<Hand> DrawHand::move(QPointF at, Qt::KeyboardModifiers) {
    next_ = snapped(at);
    board_.update();
    return {};
}

void DrawHand::press(QPointF at, Qt::KeyboardModifiers) {
    next_ = snapped(at);
    typed_.clear();
    const QPointF first = corners_.empty() ? QPointF() : board_.toScreen(corners_.front());
    if (corners_.size() > 2 && std::hypot(first.x() - at.x(), first.y() - at.y()) < 10)
        return close();
    corners_.push_back(next_);
    board_.update();
}

bool DrawHand::key(QKeyEvent* e) {
    JobSession& session = board_.session();
    if (e->key() == Qt::Key_Escape)
        return false;
    if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) {
        if (typed_.isEmpty()) {
            close();
            return true;
        }
        const auto length = readLength(typed_.toStdString(), session.project()->notation.units);
        if (length && *length > Length{} && !corners_.empty() &&
            norm(next_ - corners_.back()) > 1) {
            // The way the pointer is, to the nearest right angle.
            Vec2 way = next_ - corners_.back();
            way = std::abs(way.x) > std::abs(way.y) ? Vec2{way.x > 0 ? 1.0 : -1.0, 0}
                                                    : Vec2{0, way.y > 0 ? 1.0 : -1.0};
            corners_.push_back(corners_.back() + way * length->mm());
            next_ = corners_.back();
            typed_.clear();
        }
        board_.update();
        return true;
    }
    if (e->key() == Qt::Key_Backspace) {
        if (!typed_.isEmpty())
            typed_.chop(1);
        else if (!corners_.empty())
            corners_.pop_back();
        board_.update();
        return true;
    }
    const QString text = e->text();
    if (text.isEmpty() || !(text[0].isDigit() || QString("'\"/ .,-").contains(text[0]) ||
                            (text[0].isLetter() && !typed_.isEmpty())))
        return false;
    if (typed_.size() < 20)
        typed_ += text;
    board_.update();
    return true;
}

void DrawHand::close() {
    done_ = true;
    JobSession& session = board_.session();
    auto e = drawnRug(*session.settledProject(), corners_);
    if (e)
        session.apply(*e);
    else
        emit session.told(QString::fromStdString(e.problem().sentence()), true);
    board_.update();
}

void DrawHand::cancel() {
    done_ = true;
    board_.update();
}

void DrawHand::paintOver(QPainter& p) const {
    p.setRenderHint(QPainter::Antialiasing);
    QPolygonF shape;
    for (const Vec2 c : corners_)
        shape << board_.toScreen(c);
    const QPointF tip = board_.toScreen(next_);
    p.setPen(QPen(look().chosen, 1.6));
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(shape);
    if (!shape.isEmpty()) {
        p.setPen(QPen(look().chosen, 1.2, Qt::DashLine));
        p.drawLine(shape.back(), tip);
    }
    p.setPen(QPen(look().chosen, 1.4));
    p.setBrush(look().field);
    for (const QPointF& c : shape)
        p.drawRect(QRectF(c.x() - 3.5, c.y() - 3.5, 7, 7));
    const Notation n = board_.session().project()->notation;
    QString says = tr("Press where the rug begins");
    if (!corners_.empty())
        says = typed_.isEmpty() ? QString::fromStdString(write(distance(corners_.back(), next_), n))
                                : typed_ + "_";
    figuresBy(p, board_, tip, says);
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
    stops_.clear();
    const auto tryOut = [&] {
        drag_ = drag(*session.settledProject(), *session.settledScene(), session.selected(), step_,
                     mode);
        if (!drag_->edit.acts.empty())
            session.tryOut(drag_->edit);
    };
    tryOut();
    if ((keys & Qt::AltModifier) == 0 && !snap_ &&
        goesThrough(*session.project(), *session.settledScene(), *session.scene(),
                    session.selected()) != 0) {
        const auto held = heldStep(*session.settledProject(), *session.settledScene(),
                                   session.selected(), step_, mode);
        step_ = held.step;
        stops_ = QString::fromStdString(held.stops);
        tryOut();
    }
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
        board_.applyAndTell(edit);
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
    if (!drag_ || (drag_->changes.empty() && !snap_ && stops_.isEmpty()))
        return;
    const QFont font = sheets::sans(13);
    const QFontMetricsF m(font);
    QStringList before;
    QStringList after;
    double w = 0;
    QString offer;
    if (snap_)
        offer = tr("on letting go: ") + QString::fromStdString(snap_->words);
    else if (!stops_.isEmpty())
        offer = tr("stops at ") + stops_ + tr("; Alt takes it through");
    if (!offer.isEmpty())
        w = m.horizontalAdvance(offer) + 24;
    for (const auto& c : drag_->changes) {
        before << QString::fromStdString(c.before);
        after << (c.after.empty() ? tr("let go") : QString::fromStdString(c.after));
        w = std::max(w,
                     m.horizontalAdvance(before.last()) + m.horizontalAdvance(after.last()) + 54);
    }
    const double row = 20;
    QRectF box(last_.x() + 18, last_.y() + 18, w,
               row * static_cast<double>(before.size() + (offer.isEmpty() ? 0 : 1)) + 12);
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
    if (!offer.isEmpty()) {
        p.setFont(sheets::sans(13, QFont::DemiBold));
        p.setPen(look().chosen);
        p.drawText(QPointF(box.left() + 12, y + 14), offer);
    }
}

} // namespace mezzet::app
