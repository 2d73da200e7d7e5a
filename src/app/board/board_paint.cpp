// What the board shows: the surface, the readings, the rulers.
#include "app/board/board.h"

#include "app/look/style.h"
#include "sheets/draw_floor.h"

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {
constexpr double ruler = Board::rulerWidth;
} // namespace

void Board::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), look().board);
    if (!session_.surface().isWall())
        paintFloor(p);
    else
        paintWall(p);
    paintRulers(p);
    paintChanges(p);
    if (hasFocus()) {
        p.setPen(QPen(look().chosen, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(rect()).adjusted(1, 1, -1, -1));
    }
}

void Board::paintFloor(QPainter& p) {
    const auto d = drawing(p);
    const Room& room = *session_.project()->room;
    const Scene& scene = *session_.scene();
    sheets::drawNeighbours(d, session_.project()->rooms, session_.project()->scheme().room);
    if (room.closed) {
        p.setPen(Qt::NoPen);
        p.setBrush(look().floor);
        p.drawPolygon(d.polygon(room.edge));
    }
    paintUnderlay(d);
    sheets::drawGraph(d, sheetArea());
    sheets::drawRoom(d, room);
    const bool above = session_.surface().isCeiling();
    sheets::drawPieces(d, scene, 13, scale_ > 0.16, above);
    sheets::drawCeiling(d, scene, 13, !above);
    paintSelection(d);
    // The user's own tapes, then the readings of what is selected, and what is to mend elsewhere.
    std::vector<QRectF> taken;
    paintOver(d, taken);
    paintSnap(d);
    const auto& chosen = session_.selected();
    const auto aboutChosen = [&](const Reading& r) {
        return std::any_of(chosen.begin(), chosen.end(), [&](int id) {
            return r.piece == id || (r.other.is == Target::Is::piece && r.other.piece == id);
        });
    };
    // Of what sits right only what weighs something, so that figures don't crowd the plan.
    constexpr double weighs = 4;
    const auto tellsOfChosen = [&](const Reading& r) {
        return aboutChosen(r) && r.verdict != Verdict::note &&
               (r.toMend() || r.rule->weight >= weighs);
    };
    for (const Reading& r : session_.readings())
        if (r.seenOn(session_.surface()) && (tellsOfChosen(r) || r.toMend()))
            sheets::drawReadingStretch(d, r, aboutChosen(r));
    // What is for information about the chosen, lightly: the line of a glare, a view, a lane.
    for (const Reading& r : session_.readings())
        if (r.seenOn(session_.surface()) && aboutChosen(r) && r.verdict == Verdict::note)
            sheets::drawReadingStretch(d, r, false);
    for (const Reading& r : session_.readings())
        if (r.seenOn(session_.surface()) && tellsOfChosen(r))
            sheets::drawReading(d, r, taken, true);
    for (const Reading& r : session_.readings())
        if (r.seenOn(session_.surface()) && r.toMend() && !aboutChosen(r))
            sheets::drawReading(d, r, taken, false);
    paintTapes(d);
    // Overall lengths of the walls, and their letters.
    const double wall = sheets::drawnWall.mm() * scale_;
    std::vector<QRectF> figures;
    for (std::size_t i = 0; i < room.walls.size(); ++i)
        if (const Wall& w = room.walls[i]; w.length().mm() * scale_ > 40)
            sheets::drawDimension(d, toScreen(w.start), toScreen(w.end),
                                  wall + 13 + sheets::standsOut(room, static_cast<int>(i)) * scale_,
                                  QString::fromStdString(write(w.length(), d.notation)), 13,
                                  &figures);
    sheets::drawWallLetters(d, room, 34);
    paintViewSaid(p);
    if (room.north)
        sheets::drawNorth(d, {width() - 34.0, ruler + 44}, 17, *room.north);
    if (!room.closed && !room.walls.empty()) {
        p.setFont(sheets::sans(14, QFont::Medium));
        p.setPen(look().tight);
        p.drawText(sheetArea().adjusted(16, 10, -16, 0),
                   Qt::AlignTop | Qt::AlignHCenter | Qt::TextWordWrap,
                   QString::fromStdString(room.closure.words));
    }
    if (room.walls.empty()) {
        p.setFont(sheets::sans(16));
        p.setPen(look().soft);
        p.drawText(sheetArea(), Qt::AlignCenter,
                   "No room yet.\nMeasure it: Job, Measure (Ctrl+T).");
    }
}

// What is seen first, in a corner of the sheet: last, so that no wall's letter crosses it.
void Board::paintViewSaid(QPainter& p) const {
    if (viewSaid_.isEmpty())
        return;
    p.setFont(sheets::sans(13));
    const QRectF at(sheetArea().left() + 10, sheetArea().top() + 8,
                    p.fontMetrics().horizontalAdvance(viewSaid_) + 20, 22);
    p.setPen(QPen(look().panelEdge, 1));
    p.setBrush(look().field);
    p.drawRoundedRect(at, 5, 5);
    p.setPen(look().ink);
    p.drawText(at, Qt::AlignCenter, viewSaid_);
}

void Board::paintOver(const sheets::Drawing& d, std::vector<QRectF>& taken) {
    viewSaid_.clear();
    const auto& job = *session_.project();
    const Scene& scene = *session_.scene();
    const auto& book = *job.library.book;
    if (!regions_.empty())
        sheets::drawRegions(d, regions_);
    if (!job.room->closed)
        return;
    const int one = session_.selected().size() == 1 ? session_.selected().front() : 0;
    if (shown(Over::zones))
        sheets::drawZones(d, zonesOf(scene), taken);
    if (shown(Over::use))
        sheets::drawUseZones(d, useZones(scene, book), d.notation);
    if (shown(Over::view)) {
        // From the seat that is chosen, else from a door, or from outside through a window.
        const Piece* seat = one != 0 ? scene.scheme->byId(one) : nullptr;
        const auto& openings = job.room->openings;
        std::optional<RoomView> view;
        QString from;
        if (seat != nullptr && seat->kind->isSeat()) {
            view = viewFromSeat(scene, one);
            from = "From " + QString::fromStdString(seat->name);
        } else if (!openings.empty()) {
            // Doors before windows.
            std::vector<const Opening*> order;
            for (const bool window : {false, true})
                for (const auto& o : openings)
                    if ((o.kind == OpeningKind::window) == window)
                        order.push_back(&o);
            const Opening& o = *order[lookFrom_ % order.size()];
            const bool outside = o.kind == OpeningKind::window;
            view = outside ? viewFromOutside(scene, o) : viewFromDoor(scene, o);
            from =
                QString::fromStdString((outside ? "From outside, through " : "From ") + o.name());
        }
        if (view) {
            sheets::drawView(d, *view);
            QStringList said;
            if (view->first)
                said << "first " + QString::fromStdString(words(*view->first, job.wording()));
            for (const auto& i : view->items)
                if (i.what.is == Target::Is::piece && said.size() < 4)
                    said << QString("%1 %2 %%3")
                                .arg(QString::fromStdString(words(i.what, job.wording())))
                                .arg(std::lround(i.share * 100))
                                .arg(i.backSeen ? " (its back)" : "");
            viewSaid_ = from + ": " + said.join(", ");
        }
    }
    if (shown(Over::ways)) {
        auto ways = waysToDraw(scene, book, job.judgement, one);
        if (ways.empty() && one != 0)
            ways = waysToDraw(scene, book, job.judgement);
        sheets::drawWays(d, ways, taken);
    }
}

void Board::paintSnap(const sheets::Drawing& d) {
    if (!snap_ || hand_ != Hand::dragging)
        return;
    QPainter& p = d.painter;
    QPen pen(look().chosen, 1.4, Qt::DashLine);
    p.setPen(pen);
    for (const Segment& s : snap_->lines)
        p.drawLine(d.at(onSurface(s.from)), d.at(onSurface(s.to)));
}

void Board::paintUnderlay(const sheets::Drawing& d) {
    const auto& u = session_.project()->underlay;
    if (u != underlayOf_) {
        underlayOf_ = u;
        underlay_ =
            u ? QImage::fromData(QByteArray::fromBase64(QByteArray::fromStdString(u->picture)))
              : QImage();
    }
    if (!underlayShown_ || underlay_.isNull() || u->room != session_.project()->scheme().room)
        return;
    QPainter& p = d.painter;
    p.save();
    p.setClipRect(sheetArea());
    p.setOpacity(look().night ? 0.25 : 0.45);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.translate(d.at(u->at));
    p.rotate(u->turn.inDegrees());
    p.scale(u->mmPerPixel * d.scale, u->mmPerPixel * d.scale);
    p.drawImage(0, 0, underlay_);
    p.restore();
}

QString Board::toldOf(Vec2 floor) const {
    const Room& room = *session_.project()->room;
    if (!room.closed || !room.holds(floor))
        return {};
    const Notation n = session_.project()->notation;
    QStringList out;
    if (!room.slopes.empty() || !room.beams.empty() || room.tray || !room.steps.empty() ||
        !room.recesses.empty())
        out << "headroom " + QString::fromStdString(write(room.headroom(floor), n));
    if (const Length level = room.levelAt(floor); abs(level) > quiet)
        out << QString("floor %1 %2")
                   .arg(QString::fromStdString(write(abs(level), n)),
                        level < Length{} ? "down" : "up");
    return out.join(", ");
}

void Board::paintSelection(const sheets::Drawing& d) {
    QPainter& p = d.painter;
    for (const int id : session_.selected()) {
        const Placed* where = session_.scene()->inPlan(id);
        if (where == nullptr)
            continue;
        const auto shape = d.polygon(outline(where->shape, Length::millimetres(0.25 / scale_)));
        p.setPen(QPen(look().chosen, 3));
        p.setBrush(Qt::NoBrush);
        p.drawPolygon(shape);
        const Piece& piece = *session_.scene()->scheme->byId(id);
        const double w = piece.size.width.mm() / 2;
        const double h = piece.size.depth.mm() / 2;
        p.setPen(QPen(look().chosen, 1.4));
        p.setBrush(look().field);
        for (const Vec2 c : {Vec2{-w, -h}, Vec2{w, -h}, Vec2{w, h}, Vec2{-w, h}}) {
            const QPointF at = d.at(where->pose.toRoom(c));
            p.drawRect(QRectF(at.x() - 3, at.y() - 3, 6, 6));
        }
    }
    if (const auto handle = turnHandle()) {
        const Placed* where = session_.scene()->inPlan(session_.selected().front());
        const Piece& piece = *session_.scene()->scheme->byId(where->id);
        p.setPen(QPen(look().chosen, 1.4));
        p.drawLine(d.at(where->pose.toRoom({0, piece.size.depth.mm() / 2})), *handle);
        p.setBrush(look().field);
        p.drawEllipse(*handle, 5.5, 5.5);
        p.setBrush(look().chosen);
        p.drawEllipse(*handle, 1.6, 1.6);
    }
    paintSweep(p);
}

void Board::paintSweep(QPainter& p) const {
    if (hand_ != Hand::sweeping)
        return;
    QColor wash = look().chosen;
    wash.setAlphaF(0.12F);
    p.setPen(QPen(look().chosen, 1, Qt::DashLine));
    p.setBrush(wash);
    p.drawRect(QRectF(pressedAt_, lastAt_).normalized());
}

void Board::paintChanges(QPainter& p) {
    if (!drag_ || (drag_->changes.empty() && !snap_) || hand_ != Hand::dragging)
        return;
    // Which ties the drag changes, beside the pointer, as it happens.
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
    QRectF box(lastAt_.x() + 18, lastAt_.y() + 18, w,
               row * static_cast<double>(before.size() + (snap_ ? 1 : 0)) + 12);
    box.moveRight(std::min(box.right(), width() - 6.0));
    box.moveBottom(std::min(box.bottom(), height() - 6.0));
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

void Board::paintRulers(QPainter& p) {
    p.fillRect(QRectF(0, 0, width(), ruler), look().panel);
    p.fillRect(QRectF(0, 0, ruler, height()), look().panel);
    p.setPen(QPen(look().panelEdge, 1));
    p.drawLine(QPointF(ruler, ruler), QPointF(width(), ruler));
    p.drawLine(QPointF(ruler, ruler), QPointF(ruler, height()));
    const Notation n = session_.project()->notation;
    const bool metric = isMetric(n.units);
    const bool wall = session_.surface().isWall();
    const double small = metric ? 100 : 304.8;
    double step = metric ? 500 : 304.8;
    while (step * scale_ < 34)
        step *= 2;
    const QFont font = sheets::lettering(11);
    const auto label = [&](double mm) {
        const double v = mm;
        if (!metric)
            return QString("%1'").arg(std::lround(v / 304.8));
        if (n.units == Units::metres)
            return QString::number(v / 1000, 'f', 1);
        return QString::number(std::lround(n.units == Units::millimetres ? v : v / 10));
    };
    p.setFont(font);
    const auto along = [&](bool across, double low, double high) {
        const double origin = across ? origin_.x() : origin_.y();
        const double sign = !across && wall ? -1 : 1;
        if (small * scale_ > 5) {
            p.setPen(QPen(look().panelEdge, 1));
            for (double v = std::ceil((low - origin) / (small * scale_)) * small;
                 origin + v * scale_ < high; v += small)
                across ? p.drawLine(QPointF(origin + v * scale_, ruler - 4),
                                    QPointF(origin + v * scale_, ruler))
                       : p.drawLine(QPointF(ruler - 4, origin + v * scale_),
                                    QPointF(ruler, origin + v * scale_));
        }
        for (double v = std::ceil((low - origin) / (step * scale_)) * step;
             origin + v * scale_ < high; v += step) {
            const double at = origin + v * scale_;
            p.setPen(QPen(look().soft, 1));
            across ? p.drawLine(QPointF(at, ruler - 8), QPointF(at, ruler))
                   : p.drawLine(QPointF(ruler - 8, at), QPointF(ruler, at));
            p.setPen(look().ink);
            if (across)
                p.drawText(QRectF(at + 3, 2, 50, ruler - 6), Qt::AlignLeft | Qt::AlignVCenter,
                           label(v * sign));
            else
                p.drawText(QRectF(1, at - 14, ruler - 3, 13), Qt::AlignLeft | Qt::AlignBottom,
                           label(v * sign));
        }
    };
    along(true, ruler, width());
    along(false, ruler, height());
    p.fillRect(QRectF(0, 0, ruler, ruler), look().panel);
    if (pointerIn_) {
        p.setPen(QPen(look().tight, 1));
        p.drawLine(QPointF(pointer_.x(), 0), QPointF(pointer_.x(), ruler));
        p.drawLine(QPointF(0, pointer_.y()), QPointF(ruler, pointer_.y()));
    }
}

void Board::paintTapes(const sheets::Drawing& d) {
    QPainter& p = d.painter;
    const auto draw = [&](const OwnTape& t) {
        const Gap g = measured(t);
        const QPointF a = d.at(g.onFirst);
        const QPointF b = d.at(g.onSecond);
        p.setPen(QPen(look().ink, 4));
        p.drawLine(a, b);
        p.setPen(QPen(look().tape, 2.4));
        p.drawLine(a, b);
        const auto text = QString::fromStdString(writeGap(g.apart, d.notation));
        p.setFont(sheets::lettering(13));
        const double w = p.fontMetrics().horizontalAdvance(text) + 14;
        const QRectF chip((a.x() + b.x()) / 2 - w / 2, (a.y() + b.y()) / 2 - 10, w, 20);
        p.setPen(QPen(look().ink, 1.2));
        p.setBrush(look().tape);
        p.drawRect(chip);
        p.setPen(look().night ? QColor(Qt::white) : look().ink);
        p.drawText(chip, Qt::AlignCenter, text);
    };
    for (const auto& t : tapes())
        draw(t);
    if (taping_ && tapeStart_ && pointerIn_)
        draw({*tapeStart_, endAt(pointer_)});
}

} // namespace mezzet::app
