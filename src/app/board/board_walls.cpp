// The board when a wall is looked at: what is there, and what it shows.
#include "app/board/board.h"
#include "app/look/tr.h"

#include "app/look/style.h"
#include "judge/on_walls.h"

#include <algorithm>

namespace mezzet::app {

int Board::hungAt(QPointF at) const {
    if (!session_.surface().isWall())
        return 0;
    const auto all = piecesAt(at);
    const auto it = std::find_if(all.begin(), all.end(), [this](int id) {
        return session_.scene()->pieceById(id)->on == session_.surface();
    });
    return it == all.end() ? 0 : *it;
}

bool Board::chosenStand() const {
    const auto& chosen = session_.selected();
    return !chosen.empty() && std::all_of(chosen.begin(), chosen.end(), [&](int id) {
        const Piece* p = session_.project()->scheme().byId(id);
        return p != nullptr && p->on.isFloor();
    });
}

Vec2 Board::stepOf(Vec2 drawn) const {
    if (!session_.surface().isWall() || chosenHang())
        return onSurface(drawn);
    const Wall& w =
        session_.project()->room->walls[static_cast<std::size_t>(session_.surface().wall())];
    return w.along() * drawn.x;
}

bool Board::chosenHang() const {
    const auto& chosen = session_.selected();
    return session_.surface().isWall() && !chosen.empty() &&
           std::all_of(chosen.begin(), chosen.end(), [&](int id) {
               const Piece* p = session_.project()->scheme().byId(id);
               return p != nullptr && p->on == session_.surface();
           });
}

std::vector<Board::BesideWall> Board::wallsBeside() const {
    const Room& room = *session_.project()->room;
    const int count = static_cast<int>(room.walls.size());
    const auto length = [&](int i) {
        return room.walls[static_cast<std::size_t>(i)].length().mm();
    };
    // As they follow one another round the room, the one looked at in the middle.
    const int here = session_.surface().wall();
    std::vector<int> order;
    const int before = room.closed ? (count - 1) / 2 : here;
    for (int i = -before; i < count - before; ++i)
        order.push_back((here + i + count) % count);
    // In so many rows as show them largest.
    const QSizeF area = sheetArea().size() - QSizeF(wallMargin, wallMargin);
    const double high = room.ceiling.mm() * 1.3 + 150;
    const auto rowsWithin = [&](double widest) {
        std::vector<std::vector<int>> rows(1);
        double wide = 0;
        for (const int wall : order) {
            if (!rows.back().empty() && wide + length(wall) > widest + 0.1) {
                rows.emplace_back();
                wide = 0;
            }
            rows.back().push_back(wall);
            wide += length(wall);
        }
        return rows;
    };
    const auto wideOf = [&](const std::vector<int>& row) {
        double wide = 0;
        for (const int wall : row)
            wide += length(wall);
        return wide;
    };
    std::vector<std::vector<int>> best;
    double largest = 0;
    // Every run of walls is a width that a row may have.
    for (std::size_t from = 0; from < order.size(); ++from) {
        double widest = 0;
        for (std::size_t to = from; to < order.size(); ++to) {
            widest += length(order[to]);
            auto rows = rowsWithin(widest);
            double wide = 1;
            for (const auto& row : rows)
                wide = std::max(wide, wideOf(row));
            const double scale = std::min(area.width() / wide,
                                          area.height() / (high * static_cast<double>(rows.size()) -
                                                           (high - room.ceiling.mm())));
            if (scale > largest * 1.0001) {
                largest = scale;
                best = std::move(rows);
            }
        }
    }
    std::vector<BesideWall> out;
    Vec2 own;
    for (std::size_t r = 0; r < best.size(); ++r) {
        double x = -wideOf(best[r]) / 2;
        for (const int wall : best[r]) {
            const Vec2 at{x, high * static_cast<double>(r)};
            if (wall == here)
                own = at;
            else
                out.push_back({wall, at});
            x += length(wall);
        }
    }
    for (BesideWall& b : out)
        b.at = b.at - own;
    return out;
}

void Board::lookIntoMirrorFromNext() {
    ++mirrorFrom_;
    if (!shown(Over::reflected))
        setShown(Over::reflected, true);
    update();
}

void Board::paintWall(QPainter& p) {
    p.fillRect(rect(), look().board);
    // What is held changes with the pointer. Else it is painted once.
    if (hand_)
        return paintWallNow(p);
    LayerKey key = cameraKey();
    key.with(session_.project()).with(session_.scene());
    key.with(session_.judgedWhole() ? 1 : 0).with(static_cast<double>(session_.readings().size()));
    key.with(session_.surface().wall()).with(unrolled_ ? 1 : 0);
    key.with(static_cast<double>(mirrorFrom_))
        .with(static_cast<double>(session_.selected().size()));
    for (const bool on : shown_)
        key.with(on ? 1 : 0);
    for (const int id : session_.selected())
        key.with(id);
    for (const Mark& m : session_.marks())
        key.with(m.from.x).with(m.from.y).with(m.to.x).with(m.to.y);
    wall_.show(p, key, false, [this](QPainter& to) {
        to.fillRect(rect(), look().board);
        paintWallNow(to);
    });
}

void Board::paintWallNow(QPainter& p) {
    sheets::Labels labels(sheetArea());
    const auto d = drawingOn(drawing(p), labels);
    sheets::drawGraph(d, sheetArea());
    const Project& job = *session_.project();
    if (unrolled_)
        paintUnrolled(d);
    const auto eyes = [&] {
        if (const Rule* centre = job.library.book->byId("art-centre"))
            sheets::drawEyeBand(d, *job.room, session_.surface().wall(),
                                artCentreBand(*centre, job.judgement));
    };
    sheets::drawElevation(d, *session_.scene(), session_.surface().wall(), job.pictures.get(),
                          eyes);
    sheets::drawCorners(d, *session_.scene(), session_.surface().wall());
    paintWallOver(d);
    paintHungSelection(d);
    if (hand_)
        hand_->paint(p);
    const Room& room = *session_.project()->room;
    const Wall& w = room.walls[static_cast<std::size_t>(session_.surface().wall())];
    for (const auto& s : standingBefore(*session_.scene(), session_.surface().wall())) {
        const Piece& piece = FloorView(*session_.scene()).piece(s.index);
        if (!session_.isSelected(piece.id))
            continue;
        p.setPen(QPen(look().chosen, 2.4));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(toScreen({s.left, -s.base - piece.size.height.mm()}),
                          toScreen({s.right, -s.base}))
                       .adjusted(-2, -2, 2, 2));
    }
    if (unrolled_) {
        // Opened out, the walls are too small for figures.
        labels.place();
        labels.draw(p);
        return;
    }
    sheets::drawWallReadings(d, session_.readings(), session_.surface().wall(),
                             session_.selected());
    const auto say = [&](Length l) { return QString::fromStdString(write(l, d.notation)); };
    std::vector<std::pair<Length, Length>> holes;
    for (const auto& o : room.openings)
        if (o.wall == session_.surface().wall())
            holes.emplace_back(o.left, o.left + o.width);
    for (const auto& f : room.fixtures)
        if (f.wall == session_.surface().wall() && f.isBreast())
            holes.emplace_back(f.left, f.left + f.width);
    for (const auto& r : room.recesses)
        if (r.wall == session_.surface().wall())
            holes.emplace_back(r.left, r.left + r.width);
    std::sort(holes.begin(), holes.end());
    const double high = room.ceiling.mm();
    Length from;
    const auto run = [&](Length to) {
        if (to - from > Length::millimetres(1))
            sheets::drawDimension(d, toScreen({from.mm(), -high}), toScreen({to.mm(), -high}), 16,
                                  say(to - from), 12);
        from = to;
    };
    if (!holes.empty()) {
        for (const auto& [l, r] : holes) {
            run(l);
            run(r);
        }
        run(w.length());
    }
    sheets::drawDimension(d, toScreen({0, -high}), toScreen({w.length().mm(), -high}),
                          holes.empty() ? 18 : 40, say(w.length()), 13);
    sheets::drawDimension(d, toScreen({0, 0}), toScreen({0, -high}), 22, say(room.ceiling), 13);
    const QPointF below = toScreen({w.length().mm() / 2, 0});
    const sheets::Words title{
        tr("Wall %1, %2 by %3, seen from inside")
            .arg(QString::fromStdString(w.name), say(w.length()), say(room.ceiling)),
        sheets::lettering(15), look().ink, 95};
    std::vector<QRectF> places;
    for (const double down : {30.0, 18.0, 50.0})
        places.push_back(sheets::wordsAbout(below + QPointF(0, down), title, 1));
    sheets::drawWords(d, std::move(places), title);
    paintMarks(d);
    letter(d);
}

void Board::paintUnrolled(const sheets::Drawing& d) {
    QPainter& p = d.painter;
    const Project& job = *session_.project();
    const auto named = [&](int wall, Vec2 at0, const QColor& colour) {
        const double length = job.room->walls[static_cast<std::size_t>(wall)].length().mm();
        const sheets::Words words{tr("Wall ") + QString::fromStdString(wallName(wall)),
                                  sheets::sans(13, QFont::DemiBold), colour, 95};
        const QPointF at = d.at({at0.x + length / 2, at0.y - job.room->ceiling.mm()});
        sheets::drawWords(d,
                          {sheets::wordsAbout(at - QPointF(0, 13), words, 1),
                           sheets::wordsAbout(at - QPointF(0, 28), words, 1)},
                          words);
    };
    named(session_.surface().wall(), {}, look().ink);
    for (const auto& [wall, at] : wallsBeside()) {
        sheets::Drawing other{p,       d.look, d.origin + QPointF(at.x, at.y) * d.scale,
                              d.scale, d.pen,  d.notation,
                              d.labels};
        p.save();
        p.setOpacity(0.6);
        sheets::drawElevation(other, *session_.scene(), wall, job.pictures.get());
        p.restore();
        named(wall, at, look().soft);
    }
}

/// What is shown over a wall when it is asked for: hooks, and what a mirror shows.
void Board::paintWallOver(const sheets::Drawing& d) {
    const Project& job = *session_.project();
    const WallsView scene(*session_.scene());
    viewSaid_.clear();
    if (shown(Over::reflected)) {
        // The chosen mirror, or else the wall's first.
        std::optional<std::size_t> mirror;
        for (std::size_t i = 0; i < scene.hung.size(); ++i) {
            const Piece& p = scene.hungPiece(i);
            if (p.kind->role == Role::mirror && p.on == session_.surface() &&
                (!mirror || session_.isSelected(p.id)))
                mirror = i;
        }
        const auto lookers = lookersOf(scene, statureOf(job.judgement));
        if (mirror && !lookers.empty()) {
            const Looker& from = lookers[mirrorFrom_ % lookers.size()];
            std::vector<MirrorStrip> strips;
            const auto view = mirrorShows(scene, *mirror, from, 160, &strips);
            sheets::drawReflection(d, scene, strips);
            viewSaid_ = QString::fromStdString(mirrorSaid(view, job.wording()));
        }
    }
    if (shown(Over::hooks))
        sheets::drawHooks(d,
                          hangAll(scene, hookRules(*job.library.book), session_.surface().wall()));
}

void Board::paintHungSelection(const sheets::Drawing& d) {
    QPainter& p = d.painter;
    for (const int id : session_.selected()) {
        const Piece* piece = session_.scene()->scheme->byId(id);
        if (piece == nullptr || piece->on != session_.surface())
            continue;
        const Placed& where = *session_.scene()->byId(id);
        std::vector<Vec2> ring;
        for (const Vec2 c : outline(where.shape, Length::millimetres(0.25 / camera_.scale)))
            ring.push_back(onSurface(c));
        p.setPen(QPen(look().chosen, 2.6));
        p.setBrush(Qt::NoBrush);
        p.drawPolygon(d.polygon(ring));
        if (piece->locked || piece->isGroup())
            continue;
        p.setPen(QPen(look().chosen, 1.4));
        p.setBrush(look().field);
        const double w = piece->size.width.mm() / 2;
        const double h = piece->size.height.mm() / 2;
        for (const Vec2 c : {Vec2{-w, -h}, Vec2{w, -h}, Vec2{w, h}, Vec2{-w, h}}) {
            const QPointF at = d.at(onSurface(where.pose.at + c));
            p.drawRect(QRectF(at.x() - 3, at.y() - 3, 6, 6));
        }
    }
}

} // namespace mezzet::app
