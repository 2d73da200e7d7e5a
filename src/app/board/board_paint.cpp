// What the board shows: the surface, the readings, the rulers.
#include "app/board/board.h"
#include "app/look/tr.h"
#include "scheme/spoken.h"

#include "app/look/style.h"
#include "judge/rug_facts.h"
#include "scheme/rug.h"
#include "sheets/draw_floor.h"

#include <algorithm>
#include <cmath>

namespace mezzet::app {

namespace {

/// Above so many pieces what stays is painted beside the window.
constexpr std::size_t manyPieces = 150;

/// A drawing on a layer, all its own.
struct LayerDrawing {
    sheets::Look look;
    Camera camera;
    Notation notation;

    [[nodiscard]] sheets::Drawing on(QPainter& p) const {
        return {p, look, camera.origin, camera.scale, 1, notation};
    }
};

} // namespace

LayerKey Board::cameraKey() const {
    const Notation n = session_.project()->notation;
    LayerKey key;
    key.with(camera_.scale).with(camera_.origin.x()).with(camera_.origin.y());
    key.with(look().night ? 1 : 0).with(static_cast<int>(n.units)).with(n.denominator);
    return key;
}

std::vector<int> Board::inHand() const {
    std::vector<int> out;
    if (!session_.inTrial())
        return out;
    const Scene& was = *session_.settledScene();
    const Scene& now = *session_.scene();
    for (std::size_t i = 0; i < now.floor.placed.size(); ++i) {
        const Placed& p = now.floor.placed[i];
        const Placed* before = was.fromAbove(p.id);
        const Piece& piece = FloorView(now).piece(i);
        if (before == nullptr || before->pose.at != p.pose.at || before->pose.turn != p.pose.turn ||
            was.pieceById(p.id)->size != piece.size || was.pieceById(p.id)->name != piece.name)
            out.push_back(p.id);
    }
    return out;
}

void Board::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (!session_.surface().isWall())
        paintFloor(p);
    else
        paintWall(p);
    paintFigures(p);
    paintViewSaid(p);
    paintPointer(p);
    if (hand_)
        hand_->paintOver(p);
    if (hasFocus()) {
        p.setPen(QPen(look().chosen, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(rect()).adjusted(1, 1, -1, -1));
    }
}

std::pair<LayerKey, Layer::Paint> Board::base() {
    takeUnderlay();
    const Project& job = *session_.project();
    auto key = cameraKey();
    for (const RoomPtr& r : job.rooms)
        key.with(r);
    key.with(job.room).with(static_cast<double>(job.scheme().room));
    const bool traced =
        underlayShown_ && !underlay_.isNull() && job.underlay->room == job.scheme().room;
    key.with(job.underlay).with(traced ? 1 : 0);
    return {key, [as = LayerDrawing{look(), camera_, job.notation}, rooms = job.rooms,
                  room = job.room, which = job.scheme().room, area = sheetArea(),
                  underlay = traced ? job.underlay : nullptr, picture = underlay_](QPainter& on) {
                const auto d = as.on(on);
                sheets::drawNeighbours(d, rooms, which);
                if (room->closed) {
                    on.setPen(Qt::NoPen);
                    on.setBrush(as.look.floor);
                    on.drawPolygon(d.polygon(room->edge));
                }
                if (underlay) {
                    on.save();
                    on.setClipRect(area);
                    on.setOpacity(as.look.night ? 0.25 : 0.45);
                    on.setRenderHint(QPainter::SmoothPixmapTransform);
                    on.translate(d.at(underlay->at));
                    on.rotate(underlay->turn.inDegrees());
                    on.scale(underlay->mmPerPixel * d.scale, underlay->mmPerPixel * d.scale);
                    on.drawImage(0, 0, picture);
                    on.restore();
                }
                sheets::drawGraph(d, area);
                sheets::drawRoom(d, *room);
            }};
}

void Board::paintFloor(QPainter& p) {
    const auto d = drawing(p);
    const Room& room = *session_.project()->room;
    const Scene& scene = *session_.scene();
    const auto [baseKey, paintBase] = base();
    const bool above = session_.surface().isCeiling();
    // What stays where it is while something is dragged is painted once.
    const auto hand = inHand();
    const ScenePtr stays = hand.empty() ? session_.scene() : session_.settledScene();
    const bool sizes = camera_.scale > 0.16;
    const bool heavy = stays->floor.placed.size() > manyPieces;
    auto key = cameraKey();
    key.with(stays).with(above ? 1 : 0).with(width()).with(height());
    for (const int id : hand)
        key.with(id);
    const auto notInHand = [hand](const Piece& q) {
        return std::find(hand.begin(), hand.end(), q.id) == hand.end();
    };
    const auto moving = [&](const Piece& q) { return !notInHand(q); };
    const auto paintPieces = [as = LayerDrawing{look(), camera_, session_.project()->notation},
                              stays, notInHand, above](sheets::PiecesShown shown) {
        return
            [=](QPainter& to) { sheets::drawPieces(as.on(to), *stays, above, shown, notInHand); };
    };
    const bool flatMoves = std::any_of(hand.begin(), hand.end(),
                                       [&](int id) { return scene.pieceById(id)->kind->flat(); });
    if (!heavy && !flatMoves) {
        // All that stays lies under what moves: one opaque picture.
        LayerKey all = baseKey;
        all.with(key);
        under_.show(p, all, false,
                    [board = look().board, paintBase, size = this->size(),
                     pieces = paintPieces(sheets::PiecesShown::all)](QPainter& to) {
                        to.fillRect(QRectF(QPointF(), QSizeF(size)), board);
                        paintBase(to);
                        pieces(to);
                    });
    } else {
        p.fillRect(rect(), look().board);
        base_.show(p, baseKey, false, paintBase);
        flats_.show(p, key, heavy, paintPieces(sheets::PiecesShown::flat));
        if (flatMoves)
            sheets::drawPieces(d, scene, above, sheets::PiecesShown::flat, moving);
        pieces_.show(p, key, heavy, paintPieces(sheets::PiecesShown::upright));
    }
    if (hand.empty() && session_.surface().isFloor()) {
        if (seams_.first != session_.settledScene()) {
            const Library& library = session_.settledProject()->library;
            seams_ = {session_.settledScene(), seamsOnFloor(FloorView(*session_.settledScene()),
                                                            *library.rugs, *library.book)};
        }
        sheets::drawSeams(d, seams_.second);
    }
    if (!hand.empty())
        sheets::drawPieces(d, scene, above, sheets::PiecesShown::upright, moving);
    // The names of what stays find their places once, clear of the figures about the room.
    if (!names_ || !(namesAs_ == key)) {
        auto placed = std::make_shared<sheets::Labels>(sheetArea());
        placed->keepClear(*placeFigures(d));
        if (!above)
            sheets::namePieces(drawingOn(d, *placed), *stays, {13, sizes, false, notInHand});
        placed->place();
        names_ = std::move(placed);
        namesAs_ = key;
    }
    // Those that what is in hand comes over make way for it.
    auto names = names_;
    std::vector<sheets::Label> giveWay;
    if (!hand.empty() && !above) {
        std::vector<QRectF> over;
        for (const int id : hand)
            if (const Placed* there = scene.fromAbove(id);
                there != nullptr && !scene.pieceById(id)->kind->flat()) {
                const Box b = bounds(there->shape);
                over.emplace_back(d.at(b.low), d.at(b.high));
            }
        if (names_->liesUnder(over)) {
            auto others = std::make_shared<sheets::Labels>(*names_);
            giveWay = others->takeUnder(over);
            names = std::move(others);
        }
        for (const auto& label : giveWay)
            key.with(label.of);
    }
    namesLayer_.show(p, key, heavy, [names](QPainter& to) { names->draw(to); });
    sheets::Labels live(sheetArea());
    live.keepClear(*placeFigures(d));
    live.keepClear(*names);
    for (auto& label : giveWay)
        live.add(std::move(label));
    const auto dl = drawingOn(d, live);
    if (!hand.empty() && !above)
        sheets::namePieces(dl, scene, {13, sizes, false, moving});
    sheets::drawCeiling(dl, scene, 13, !above);
    paintSelection(d);
    if (const auto handle = turnHandle())
        live.keepClear(QRectF(*handle - QPointF(7, 7), QSizeF(14, 14)));
    // The user's own tapes, then the readings of what is selected, and what is to mend elsewhere.
    paintOver(dl);
    if (hand_)
        hand_->paint(p);
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
    // A line breaks off at a name. What is for information about the chosen is drawn lightly: the
    // line of a glare, a view, a lane.
    p.save();
    QRegion clear(rect());
    for (const QRectF& name : names->boxes())
        clear -= name.toAlignedRect();
    p.setClipRegion(clear, Qt::IntersectClip);
    for (const Reading& r : session_.readings())
        if (const bool own = aboutChosen(r);
            r.seenOn(session_.surface()) &&
            (tellsOfChosen(r) || r.toMend() || (own && r.verdict == Verdict::note)))
            sheets::drawReadingStretch(d, r, own && r.verdict != Verdict::note);
    p.restore();
    const auto& readings = session_.readings();
    sheets::ReadingMarks marks;
    for (const bool ofChosen : {true, false})
        for (std::size_t i = 0; i < readings.size(); ++i)
            if (const Reading& r = readings[i];
                r.seenOn(session_.surface()) &&
                (ofChosen ? tellsOfChosen(r) : r.toMend() && !aboutChosen(r)) && marks.isNew(r))
                sheets::drawReading(dl, r, ofChosen, static_cast<int>(i));
    paintTapes(dl);
    letter(dl);
    if (room.walls.empty()) {
        p.setFont(sheets::sans(16));
        p.setPen(look().soft);
        p.drawText(sheetArea(), Qt::AlignCenter,
                   tr("No room yet.\nMeasure it: Job, Measure (Ctrl+T)."));
    }
}

void Board::paintOver(const sheets::Drawing& d) {
    viewSaid_.clear();
    const auto& job = *session_.project();
    const Scene& scene = *session_.scene();
    const auto& book = *job.library.book;
    if (!regions_.empty())
        sheets::drawRegions(d, regions_);
    if (!job.room->closed)
        return;
    if (shown(Over::light)) {
        const auto& scenes = scene.scheme->light.scenes;
        if (lightScene_ >= static_cast<int>(scenes.size()))
            lightScene_ = -1;
        if (const auto& grid = lit_.of(session_.project(), session_.scene(), lightScene_)) {
            sheets::drawLux(d, *grid, job.room->edge);
            viewSaid_ =
                tr("%1, at night, as seen from above: %2 lux, least %3, evenness %4%5")
                    .arg(lightScene_ < 0 ? tr("All lights full on")
                                         : QString::fromStdString(
                                               scenes[static_cast<std::size_t>(lightScene_)].name))
                    .arg(std::lround(grid->mean))
                    .arg(std::lround(grid->least))
                    .arg(grid->evenness(), 0, 'f', 2)
                    .arg(lit_.whole() ? "" : tr(", what is passed on still to come"));
            // In full where the question is asked, and by the command.
            if (!assumedIn(scene.scheme->light).empty())
                viewSaid_ += tr("; what surfaces give back is assumed");
        }
    }
    const int one = session_.selected().size() == 1 ? session_.selected().front() : 0;
    if (shown(Over::zones))
        sheets::drawZones(d, zonesOf(scene));
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
            from = tr("From ") + QString::fromStdString(seat->name);
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
            from = QString::fromStdString(
                (outside ? inOwnWords("From outside, through ") : inOwnWords("From ")) +
                spokenOfRoom(o.name()));
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
                                .arg(i.backSeen ? tr(" (its back)") : "");
            viewSaid_ = from + ": " + said.join(", ");
        }
    }
    if (shown(Over::ways)) {
        auto ways = waysToDraw(scene, book, job.judgement, one);
        if (ways.empty() && one != 0)
            ways = waysToDraw(scene, book, job.judgement);
        sheets::drawWays(d, ways);
    }
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
        out << tr("floor %1 %2")
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
        const Piece& piece = *session_.scene()->scheme->byId(id);
        const Length fine = Length::millimetres(0.25 / camera_.scale);
        const auto shape = d.polygon(piece.kind->flat() ? trueOutline(piece, where->pose, fine)
                                                        : outline(where->shape, fine));
        p.setPen(QPen(look().chosen, 3));
        p.setBrush(Qt::NoBrush);
        p.drawPolygon(shape);
        const double w = piece.size.width.mm() / 2;
        const double h = piece.size.depth.mm() / 2;
        p.setPen(QPen(look().chosen, 1.4));
        p.setBrush(look().field);
        if (isCut(piece)) {
            for (const OutlineSquare& s : outlineSquares())
                p.drawRect(QRectF(s.at.x() - 3, s.at.y() - 3, 6, 6));
            continue;
        }
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
}

namespace {

void paintRulers(QPainter& p, const LayerDrawing& as, QSizeF size, bool wall) {
    constexpr double ruler = Board::ruler;
    p.fillRect(QRectF(0, 0, size.width(), ruler), as.look.panel);
    p.fillRect(QRectF(0, 0, ruler, size.height()), as.look.panel);
    p.setPen(QPen(as.look.panelEdge, 1));
    p.drawLine(QPointF(ruler, ruler), QPointF(size.width(), ruler));
    p.drawLine(QPointF(ruler, ruler), QPointF(ruler, size.height()));
    const Notation n = as.notation;
    const bool metric = isMetric(n.units);
    const double small = metric ? 100 : 304.8;
    double step = metric ? 500 : 304.8;
    while (step * as.camera.scale < 34)
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
        const double origin = across ? as.camera.origin.x() : as.camera.origin.y();
        const double sign = !across && wall ? -1 : 1;
        if (small * as.camera.scale > 5) {
            p.setPen(QPen(as.look.panelEdge, 1));
            for (double v = std::ceil((low - origin) / (small * as.camera.scale)) * small;
                 origin + v * as.camera.scale < high; v += small)
                across ? p.drawLine(QPointF(origin + v * as.camera.scale, ruler - 4),
                                    QPointF(origin + v * as.camera.scale, ruler))
                       : p.drawLine(QPointF(ruler - 4, origin + v * as.camera.scale),
                                    QPointF(ruler, origin + v * as.camera.scale));
        }
        for (double v = std::ceil((low - origin) / (step * as.camera.scale)) * step;
             origin + v * as.camera.scale < high; v += step) {
            const double at = origin + v * as.camera.scale;
            p.setPen(QPen(as.look.soft, 1));
            across ? p.drawLine(QPointF(at, ruler - 8), QPointF(at, ruler))
                   : p.drawLine(QPointF(ruler - 8, at), QPointF(ruler, at));
            p.setPen(as.look.ink);
            // A figure that would be cut at an end is left out.
            const double wide = p.fontMetrics().horizontalAdvance(label(v * sign));
            if (across && at + 8 + wide < high)
                p.drawText(QRectF(at + 3, 2, wide + 2, ruler - 6), Qt::AlignLeft | Qt::AlignVCenter,
                           label(v * sign));
            else if (!across && at - 14 > low) {
                // Three figures are a little narrower, so that none is cut.
                const bool squeezed = wide > ruler - 4;
                if (squeezed) {
                    QFont narrow = font;
                    narrow.setStretch(static_cast<int>(100 * (ruler - 4) / wide));
                    p.setFont(narrow);
                }
                p.drawText(QRectF(0, at - 14, ruler - 2, 13), Qt::AlignRight | Qt::AlignBottom,
                           label(v * sign));
                if (squeezed)
                    p.setFont(font);
            }
        }
    };
    along(true, ruler, size.width());
    along(false, ruler, size.height());
    p.fillRect(QRectF(0, 0, ruler, ruler), as.look.panel);
}

/// Overall lengths of the walls, and their letters.
void paintLengths(const sheets::Drawing& d, const Room& room) {
    const double wall = sheets::drawnWall.mm() * d.scale;
    for (std::size_t i = 0; i < room.walls.size(); ++i)
        if (const Wall& w = room.walls[i]; w.length().mm() * d.scale > 40)
            sheets::drawDimension(d, d.at(w.start), d.at(w.end),
                                  wall + 13 +
                                      sheets::standsOut(room, static_cast<int>(i)) * d.scale,
                                  QString::fromStdString(write(w.length(), d.notation)), 13);
    sheets::drawWallLetters(d, room, 34);
}

} // namespace

/// What the hand letters too; then all of it finds its place, and is painted.
void Board::letter(const sheets::Drawing& d) {
    if (hand_)
        hand_->letter(d);
    d.labels->place();
    d.labels->draw(d.painter);
    chips_ = d.labels->tagged();
}

/// The lengths about the room, and the letters of its walls: they change with the camera only.
std::shared_ptr<const sheets::Labels> Board::placeFigures(const sheets::Drawing& d) {
    const RoomPtr room = session_.project()->room;
    auto key = cameraKey();
    key.with(room).with(session_.surface().isWall() ? 1 : 0).with(width()).with(height());
    if (figuresPlaced_ && figuresAs_ == key)
        return figuresPlaced_;
    auto placed = std::make_shared<sheets::Labels>(sheetArea());
    if (!session_.surface().isWall()) {
        if (room->north)
            placed->keepClear(QRectF(width() - 56.0, ruler + 8, 48, 56));
        // Only what is lettered is wanted of these.
        QImage nothing(1, 1, QImage::Format_ARGB32_Premultiplied);
        QPainter nowhere(&nothing);
        const sheets::Drawing on{nowhere, d.look,     d.origin,    d.scale,
                                 d.pen,   d.notation, placed.get()};
        paintLengths(on, *room);
        sheets::drawNeighbours(on, session_.project()->rooms, session_.project()->scheme().room);
        sheets::drawRoom(on, *room);
    }
    placed->place();
    figuresPlaced_ = std::move(placed);
    figuresAs_ = key;
    return figuresPlaced_;
}

/// Dimensions, letters, what is said of the room, and the rulers.
void Board::paintFigures(QPainter& p) {
    const RoomPtr room = session_.project()->room;
    const bool wall = session_.surface().isWall();
    auto key = cameraKey();
    const auto placed = placeFigures(drawing(p));
    key.with(room).with(wall ? 1 : 0).with(placed);
    figures_.show(
        p, key, false,
        [as = LayerDrawing{look(), camera_, session_.project()->notation}, room, wall, placed,
         size = QSizeF(this->size()), area = sheetArea()](QPainter& on) {
            const auto d = as.on(on);
            placed->draw(on);
            if (!wall) {
                if (room->north)
                    sheets::drawNorth(d, {size.width() - 34.0, ruler + 44}, 17, *room->north);
                if (!room->closed && !room->walls.empty()) {
                    on.setFont(sheets::sans(14, QFont::Medium));
                    on.setPen(as.look.tight);
                    on.drawText(area.adjusted(16, 10, -16, 0),
                                Qt::AlignTop | Qt::AlignHCenter | Qt::TextWordWrap,
                                QString::fromStdString(room->closure.words));
                }
            }
            paintRulers(on, as, size, wall);
        });
}

void Board::paintPointer(QPainter& p) const {
    if (!pointerIn_)
        return;
    p.setPen(QPen(look().tight, 1));
    p.drawLine(QPointF(pointer_.x(), 0), QPointF(pointer_.x(), ruler));
    p.drawLine(QPointF(0, pointer_.y()), QPointF(ruler, pointer_.y()));
}

/// What the last answer measured.
void Board::paintMarks(const sheets::Drawing& d) {
    QPainter& p = d.painter;
    for (const Mark& m : session_.marks()) {
        if (m.surface != session_.surface())
            continue;
        const QPointF a = d.at(onSurface(m.from));
        const QPointF b = d.at(onSurface(m.to));
        p.setPen(QPen(look().chosen, 2.4));
        p.drawLine(a, b);
        for (const QPointF end : {a, b}) {
            p.setBrush(look().chosen);
            p.drawEllipse(end, 3.5, 3.5);
        }
        if (!m.words.empty())
            sheets::drawChip(d, a, b,
                             {QString::fromStdString(m.words), sheets::lettering(14), look().ink,
                              look().chosen, look().field, 1.4, false, 4, std::nullopt, 70});
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
        sheets::drawChip(d, a, b,
                         {QString::fromStdString(writeGap(g.apart, d.notation)),
                          sheets::lettering(13), look().night ? QColor(Qt::white) : look().ink,
                          look().ink, look().tape, 1.2, false, 0, std::nullopt, 60});
    };
    for (const auto& t : tapes())
        draw(t);
    paintMarks(d);
    if (taping_ && tapeStart_ && pointerIn_)
        draw({*tapeStart_, endAt(pointer_)});
}

} // namespace mezzet::app
