#include "scheme/spoken.h"
#include "scheme/surfaces.h"
#include "sheets/drawing.h"
#include "things/stock.h"

#include <QFontMetricsF>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

class Front {
public:
    Front(const Drawing& d, const Piece& p, const Standing& s, bool faceOn)
        : d_(d), p_(p), l_(s.left), r_(s.right), base_(s.base), faceOn_(faceOn) {
        QColor wash = d.look.wash(p.kind->family);
        wash.setAlphaF(0.55F);
        // A thing as it looks, and whatever is told a colour.
        if (const auto own = colourOf(p)) {
            wash = QColor(own->r, own->g, own->b);
            wash.setAlphaF(p.isThing() ? 0.9F : 0.65F);
        }
        wash_ = wash;
    }

    void draw() {
        const double h = p_.size.height.mm();
        switch (p_.kind->family) {
        case Family::rug:
            box(l_, 0, r_, std::max(h, 8.0));
            return;
        case Family::seat:
            seat();
            return;
        case Family::table:
            table();
            return;
        case Family::light:
            lamp(h);
            return;
        case Family::plant:
            plant(h);
            return;
        case Family::sleep:
            if (p_.kind->draw == "bunk") {
                box(l_, 120, r_, p_.heights.seat.value_or(p_.size.height).mm());
                box(l_, h * 0.72, r_, h * 0.86);
                legs(h, 0, 45);
                return;
            }
            box(l_, p_.heights.seat ? 90 : 0, r_, p_.heights.seat.value_or(p_.size.height).mm());
            if (p_.heights.back && faceOn_)
                box(l_, 0, r_, p_.heights.back->mm());
            if (p_.heights.seat)
                line(l_, p_.heights.seat->mm() * 0.6, r_, p_.heights.seat->mm() * 0.6);
            return;
        case Family::storage:
        case Family::screen:
            storage(h);
            return;
        case Family::art: // what hangs is drawn by drawHung; on a table it is a plain box
        case Family::textile:
            box(l_, 0, r_, h);
            return;
        }
    }

private:
    /// Above what it stands on.
    [[nodiscard]] Vec2 rise(double s, double z) const { return onFace(s, z + base_); }
    void box(double l, double low, double r, double high) {
        d_.painter.setPen(d_.ink(1));
        d_.painter.setBrush(wash_);
        d_.painter.drawPolygon(
            d_.polygon({rise(l, low), rise(r, low), rise(r, high), rise(l, high)}));
    }
    void line(double s0, double z0, double s1, double z1) {
        d_.painter.setPen(d_.ink(0.7, d_.look.soft));
        d_.painter.drawLine(d_.at(rise(s0, z0)), d_.at(rise(s1, z1)));
    }
    void legs(double h, double inset, double thick) {
        box(l_ + inset, 0, l_ + inset + thick, h);
        box(r_ - inset - thick, 0, r_ - inset, h);
    }
    void seat() {
        const double cushion = p_.heights.seat.value_or(p_.size.height).mm();
        const double back = p_.heights.back.value_or(p_.size.height).mm();
        const double foot = std::min(120.0, cushion * 0.3);
        const bool upholstered = p_.kind->role == Role::sofa || p_.kind->role == Role::armchair;
        if (!upholstered) {
            legs(cushion, 20, 28);
            box(l_, cushion - 40, r_, cushion);
            if (back > cushion + 1)
                box(l_ + 10, cushion, r_ - 10, back);
            return;
        }
        legs(foot, 50, 35);
        box(l_, foot, r_, back);
        const double arm = p_.heights.arm.value_or(p_.size.height).mm();
        if (p_.heights.arm && faceOn_) {
            const double w = std::min(190.0, (r_ - l_) * 0.14);
            line(l_ + w, cushion, r_ - w, cushion);
            line(l_ + w, cushion * 0.62, r_ - w, cushion * 0.62);
            box(l_, foot, l_ + w, arm);
            box(r_ - w, foot, r_, arm);
        } else {
            line(l_, cushion, r_, cushion);
        }
    }
    void table() {
        const double top = p_.top().mm();
        box(l_, top - 35, r_, top);
        if (p_.footprint.form == FootprintForm::oval && r_ - l_ < 1500) {
            const double c = (l_ + r_) / 2;
            box(c - 45, 40, c + 45, top - 35);
            box(c - (r_ - l_) * 0.26, 0, c + (r_ - l_) * 0.26, 40);
        } else {
            legs(top - 35, 35, 50);
        }
    }
    void lamp(double h) {
        const double c = (l_ + r_) / 2;
        box(c - 10, 20, c + 10, h * 0.78);
        box(c - (r_ - l_) * 0.3, 0, c + (r_ - l_) * 0.3, 20);
        d_.painter.setPen(d_.ink(1));
        d_.painter.setBrush(wash_);
        d_.painter.drawPolygon(
            d_.polygon({rise(l_, h * 0.76), rise(r_, h * 0.76), rise(r_ - (r_ - l_) * 0.22, h),
                        rise(l_ + (r_ - l_) * 0.22, h)}));
    }
    void plant(double h) {
        const double c = (l_ + r_) / 2;
        const double pot = std::min(h * 0.28, 360.0);
        d_.painter.setPen(d_.ink(1));
        d_.painter.setBrush(wash_);
        d_.painter.drawEllipse(d_.at(rise(c, (h + pot) / 2)), (r_ - l_) / 2 * d_.scale,
                               (h - pot) / 2 * d_.scale);
        box(c - (r_ - l_) * 0.25, 0, c + (r_ - l_) * 0.25, pot);
    }
    void post(double h) {
        const double c = (l_ + r_) / 2;
        box(c - 20, 30, c + 20, h);
        box(l_ + (r_ - l_) * 0.15, 0, r_ - (r_ - l_) * 0.15, 30);
        for (const double z : {h - 60, h - 260}) {
            d_.painter.setPen(d_.ink(1.6));
            d_.painter.drawLine(d_.at(rise(c, z - 90)), d_.at(rise(l_ + 30, z)));
            d_.painter.drawLine(d_.at(rise(c, z - 90)), d_.at(rise(r_ - 30, z)));
        }
    }
    /// The boards about its openings, as they are.
    void boards() {
        const double wide = p_.size.width.mm();
        const double across = (r_ - l_) / wide;
        const auto at = [&](double x) { return l_ + (x + wide / 2) * across; };
        for (int n = 1; n <= p_.openings(); ++n) {
            const auto o = openingOf(p_, n);
            if (!o)
                continue;
            line(at(o->left), o->board, at(o->right), o->board);
            line(at(o->left), o->head, at(o->right), o->head);
            if (faceOn_) {
                line(at(o->left), o->board, at(o->left), o->head);
                line(at(o->right), o->board, at(o->right), o->head);
            }
        }
    }
    void storage(double h) {
        const auto& how = p_.kind->draw;
        if (how == "post")
            return post(h);
        if (how == "panel") {
            const double foot =
                p_.kind->standsOn() ? std::min(60.0, h * 0.1) : std::min(90.0, h * 0.08);
            box(l_, foot, r_, h);
            line(l_ + 18, foot + 18, r_ - 18, foot + 18);
            for (const double x : {l_ + (r_ - l_) * 0.2, r_ - (r_ - l_) * 0.2})
                line(x, 0, x, foot);
            return;
        }
        box(l_, 0, r_, h);
        if (how == "stove" && faceOn_) {
            box(l_ + (r_ - l_) * 0.18, h * 0.3, r_ - (r_ - l_) * 0.18, h * 0.8);
        } else if (how == "keys") {
            line(l_, h * 0.62, r_, h * 0.62);
            line(l_, h * 0.54, r_, h * 0.54);
        } else if (p_.openings() > 0) {
            boards();
        } else if (how == "shelves") {
            for (double z = 330; z < h - 100; z += 330)
                line(l_, z, r_, z);
        } else if (how == "drawers") {
            for (int i = 1; i < 4; ++i)
                line(l_, h * i / 4, r_, h * i / 4);
        } else if (how == "doors") {
            const int parts = std::max(2, static_cast<int>(std::lround((r_ - l_) / 500)));
            for (int i = 1; i < parts; ++i)
                line(l_ + (r_ - l_) * i / parts, 60, l_ + (r_ - l_) * i / parts, h);
            line(l_, 60, r_, 60);
        }
    }

    const Drawing& d_;
    const Piece& p_;
    double l_;
    double r_;
    double base_;
    bool faceOn_;
    QColor wash_;
};

void drawOpeningFront(const Drawing& d, const Opening& o) {
    QPainter& p = d.painter;
    const double l = o.left.mm();
    const double r = (o.left + o.width).mm();
    const double low = o.sill.mm();
    const double high = (o.sill + o.height).mm();
    const auto box = [&](double inset) {
        p.drawPolygon(
            d.polygon({onFace(l + inset, low + (o.kind == OpeningKind::window ? inset : 0)),
                       onFace(r - inset, low + (o.kind == OpeningKind::window ? inset : 0)),
                       onFace(r - inset, high - inset), onFace(l + inset, high - inset)}));
    };
    p.setPen(d.ink(1.2));
    p.setBrush(d.look.night ? d.look.panelEdge : QColor(0xf3f1ea));
    box(0);
    p.setBrush(Qt::NoBrush);
    p.setPen(d.ink(0.8));
    if (o.kind == OpeningKind::window) {
        box(55);
        p.drawLine(d.at(onFace((l + r) / 2, low + 55)), d.at(onFace((l + r) / 2, high - 55)));
        p.drawLine(d.at(onFace(l - 40, low)), d.at(onFace(r + 40, low)));
    } else if (o.kind == OpeningKind::door) {
        box(40);
        p.setPen(QPen(d.look.soft, 0.8 * d.pen, Qt::DashLine));
        // The mark points at the hinge.
        const auto leaf = [&](double hinge, double lock) {
            p.drawLine(d.at(onFace(lock, high - 40)), d.at(onFace(hinge, (low + high) / 2)));
            p.drawLine(d.at(onFace(lock, low)), d.at(onFace(hinge, (low + high) / 2)));
        };
        const double middle = (l + r) / 2;
        switch (o.style) {
        case DoorStyle::hinged:
            o.hingeRight ? leaf(r - 40, l + 40) : leaf(l + 40, r - 40);
            break;
        case DoorStyle::pair:
            leaf(l + 40, middle);
            leaf(r - 40, middle);
            p.setPen(d.ink(0.8));
            p.drawLine(d.at(onFace(middle, low)), d.at(onFace(middle, high - 40)));
            break;
        case DoorStyle::folding:
            p.setPen(d.ink(0.8));
            for (const double k : {0.25, 0.5, 0.75})
                p.drawLine(d.at(onFace(l + (r - l) * k, low)),
                           d.at(onFace(l + (r - l) * k, high - 40)));
            break;
        case DoorStyle::sliding:
        case DoorStyle::pocket: {
            if (slidesInItsFrame(o)) {
                p.setPen(d.ink(0.8));
                p.drawLine(d.at(onFace(middle, low)), d.at(onFace(middle, high - 40)));
                p.setPen(QPen(d.look.soft, 0.8 * d.pen, Qt::DashLine));
            }
            const double way = o.hingeRight ? 1 : -1;
            const double z = (low + high) / 2;
            const double tip = middle + way * (r - l) * 0.25;
            p.drawLine(d.at(onFace(middle - way * (r - l) * 0.25, z)), d.at(onFace(tip, z)));
            p.setPen(d.ink(0.8, d.look.soft));
            p.drawPolyline(d.polygon(
                {onFace(tip - way * 70, z - 50), onFace(tip, z), onFace(tip - way * 70, z + 50)}));
            break;
        }
        }
    }
    const Words name{QString::fromStdString(spokenOfRoom(o.name())), sans(11 * d.pen), d.look.soft,
                     12};
    const QRectF hole = QRectF(d.at(onFace(l, high)), d.at(onFace(r, low))).normalized();
    std::vector<QRectF> places;
    for (const double share : {0.0, 0.25, 0.5, 0.75, 1.0})
        for (const double side : {0.5, 0.2, 0.8}) {
            const QRectF at = wordsAbout(
                {hole.left() + hole.width() * side,
                 hole.top() + 16 * d.pen + share * std::max(0.0, hole.height() - 32 * d.pen)},
                name, d.pen);
            if (hole.contains(at))
                places.push_back(at);
        }
    drawWords(d, std::move(places), name);
}

struct FloorPart {
    double from; ///< mm along the wall
    double to;
    double level; ///< mm
};

/// The floor before a wall, where its level changes.
std::vector<FloorPart> floorOf(const Room& room, int wall) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    const double length = w.length().mm();
    std::vector<double> at{0, length};
    for (const FloorStep& s : room.steps) {
        const auto line = lineAlong(room, s.at.wall, s.at.away.value);
        const double rate = dot(line.normal, w.along());
        if (std::abs(rate) < 1e-6)
            continue;
        const double here = (line.offset - dot(line.normal, w.start)) / rate;
        if (here > 0 && here < length)
            at.push_back(here);
    }
    std::sort(at.begin(), at.end());
    std::vector<FloorPart> out;
    for (std::size_t i = 0; i + 1 < at.size(); ++i) {
        const Vec2 p = w.at(Length::millimetres((at[i] + at[i + 1]) / 2)) + w.inward() * 5;
        out.push_back({at[i], at[i + 1], room.levelAt(p).mm()});
    }
    return out;
}

/// The wall's face: over the floor's levels, under the ceiling's line.
std::vector<Vec2> facePolygon(const Room& room, int wall) {
    std::vector<Vec2> out;
    for (const auto& part : floorOf(room, wall)) {
        out.push_back(onFace(part.from, part.level));
        out.push_back(onFace(part.to, part.level));
    }
    const auto top = room.topOf(wall);
    for (auto it = top.rbegin(); it != top.rend(); ++it)
        out.push_back(onFace(it->x, it->y));
    return out;
}

/// Skirting, rails and cornice round the wall, between its openings.
void drawMouldings(const Drawing& d, const Room& room, int wall, const QPainterPath& within) {
    const double length = room.walls[static_cast<std::size_t>(wall)].length().mm();
    QPainter& p = d.painter;
    p.save();
    p.setClipPath(within, Qt::IntersectClip);
    const auto line = [&](Length z, double width, const QColor& colour) {
        p.setPen(d.ink(width, colour));
        p.drawLine(d.at(onFace(0, z.mm())), d.at(onFace(length, z.mm())));
    };
    const auto& m = room.mouldings;
    // A skirting that was not taped is drawn faintly, so that the wall stands on something.
    m.skirting ? line(*m.skirting, 1, d.look.ink)
               : line(Length::millimetres(100), 0.7, d.look.soft);
    for (const auto& rail : {m.chairRail, m.pictureRail}) {
        if (!rail)
            continue;
        line(*rail, 1, d.look.ink);
        line(*rail - Length::millimetres(45), 0.6, d.look.soft);
    }
    if (m.cornice)
        line(room.ceiling - *m.cornice, 1, d.look.ink);
    p.restore();
}

/// Beams that run into the wall are cut; those along it are seen in dashes.
void drawBeamEnds(const Drawing& d, const Room& room, int wall) {
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    const double length = w.length().mm();
    const double top = room.ceiling.mm();
    for (const Beam& b : room.beams) {
        const auto line = lineAlong(room, b.at.wall, b.at.away.value);
        const double rate = dot(line.normal, w.along());
        d.painter.setBrush(QBrush(d.look.poche, Qt::BDiagPattern));
        if (std::abs(rate) < 0.2) {
            d.painter.setPen(QPen(d.look.soft, d.pen, Qt::DashLine));
            d.painter.drawLine(d.at(onFace(0, top - b.drop.mm())),
                               d.at(onFace(length, top - b.drop.mm())));
            continue;
        }
        double from = (line.offset - dot(line.normal, w.start)) / rate;
        double to = from + b.width.mm() / rate;
        if (from > to)
            std::swap(from, to);
        from = std::max(from, 0.0);
        to = std::min(to, length);
        if (from >= to)
            continue;
        d.painter.setPen(d.ink(1.2));
        d.painter.drawPolygon(
            d.polygon({onFace(from, top - b.drop.mm()), onFace(to, top - b.drop.mm()),
                       onFace(to, top), onFace(from, top)}));
    }
}

} // namespace

namespace {

/// Whether a piece is carried, somewhere below, by what hangs on a wall or stands before it.
bool isBefore(const Scene& scene, const Piece& piece, int wall,
              const std::vector<Standing>& standing) {
    const Piece& last = *carriersOf(piece, *scene.scheme).back();
    if (last.onWall())
        return last.wall() == wall;
    return std::any_of(standing.begin(), standing.end(), [&](const Standing& s) {
        return scene.floor.placed[s.index].id == last.id && s.off <= Length::inches(30).mm();
    });
}

} // namespace

void drawCarried(const Drawing& d, const Scene& scene, int wall) {
    const Wall& w = scene.room->walls[static_cast<std::size_t>(wall)];
    const auto standing = standingBefore(scene, wall);
    for (const Piece& p : scene.scheme->pieces) {
        // What stands on a top on the floor is drawn with what stands there.
        if (!p.on.isCarried() || scene.fromAbove(p.id) != nullptr ||
            !isBefore(scene, p, wall, standing))
            continue;
        const auto body = bodyOf(scene, p.id);
        if (!body)
            continue;
        const double along = dot(body->foot.plan() - w.start, w.along());
        const double half = std::abs(dot(body->right.plan(), w.along())) * p.size.width.mm() / 2 +
                            std::abs(dot(body->front.plan(), w.along())) * p.size.depth.mm() / 2;
        Standing s;
        s.left = along - half;
        s.right = along + half;
        s.base = body->foot.z - scene.room->levelAt(w.start).mm();
        const bool faceOn = std::abs(dot(body->right.plan(), w.along())) > 0.98;
        Front(d, p, s, faceOn).draw();
    }
}

namespace {

/// Its name on it where there is room, low first; else over it.
void nameStanding(const Drawing& d, const Piece& piece, const Standing& s) {
    const QRectF body =
        QRectF(d.at(onFace(s.left, s.base + piece.size.height.mm())), d.at(onFace(s.right, s.base)))
            .normalized();
    if (d.labels != nullptr)
        d.labels->ratherClear(body, piece.id);
    const auto name = QString::fromStdString(piece.name);
    std::vector<QRectF> places;
    Words words{name, sans(11.5 * d.pen), d.look.ink, 18, piece.id};
    const double low = std::min(body.height(), 620 * d.scale) / 2;
    const QRectF whole = wordsAbout({}, words, d.pen);
    if (whole.width() > body.width() * 1.3)
        return;
    for (const double share : {0.5, 0.25, 0.75, 0.0, 1.0})
        for (const double rise : {0.0, 1.0, 2.0, -1.0, 3.0, 4.0}) {
            const double y = body.bottom() - low - rise * whole.height();
            const double free = std::max(0.0, body.width() - whole.width());
            const QPointF middle(body.center().x() + (share - 0.5) * free, y);
            if (const QRectF box = wordsAbout(middle, words, d.pen);
                box.bottom() <= body.bottom() && box.top() >= body.top() - whole.height() * 1.1)
                places.push_back(box);
        }
    drawWords(d, std::move(places), words);
}

} // namespace

void drawElevation(const Drawing& d, const WallsView& scene, int wall, const Pictures* pictures,
                   const std::function<void()>& onTheFace) {
    const Room& room = *scene.room;
    const auto index = static_cast<std::size_t>(wall);
    const Wall& w = room.walls[index];
    const double length = w.length().mm();
    const double high = room.ceiling.mm();
    QPainter& p = d.painter;
    const auto face = facePolygon(room, wall);
    p.setPen(Qt::NoPen);
    p.setBrush(d.look.floor);
    p.drawPolygon(d.polygon(face));
    QPainterPath within;
    within.addPolygon(d.polygon(face));
    within.closeSubpath();
    if (room.studs[index]) {
        p.save();
        p.setClipPath(within, Qt::IntersectClip);
        p.setPen(QPen(d.look.graphStrong, d.pen, Qt::DotLine));
        for (const Length s : room.studs[index]->on(w.length()))
            p.drawLine(d.at(onFace(s.mm(), 0)), d.at(onFace(s.mm(), high)));
        p.restore();
    }
    drawMouldings(d, room, wall, within);
    for (const Recess& r : room.recesses) {
        if (r.wall != wall)
            continue;
        const double top = r.height > Length{} ? r.height.mm() : high;
        p.setPen(d.ink(1.2));
        p.setBrush(QBrush(d.look.graphStrong, Qt::Dense7Pattern));
        const double right = (r.left + r.width).mm();
        const auto mouth = d.polygon({onFace(r.left.mm(), 0), onFace(right, 0), onFace(right, top),
                                      onFace(r.left.mm(), top)});
        p.save();
        p.setClipPath(within, Qt::IntersectClip);
        p.fillRect(mouth.boundingRect(), d.look.floor); // its skirting is farther back
        p.drawPolygon(mouth);
        p.restore();
    }
    for (const Opening& o : room.openings)
        if (o.wall == wall)
            drawOpeningFront(d, o);
    for (const Fixture& f : room.fixtures) {
        drawFixtureFront(d, room, wall, f);
        if (d.labels == nullptr || f.wall != wall)
            continue;
        // Names rather stand off what is built in.
        const double half = f.isPoint() ? 90 : 0;
        const double left = f.left.mm() - half;
        const double right = f.isPoint() ? f.left.mm() + half : (f.left + f.width).mm();
        const double low = f.up.mm() - half;
        const double top = f.isPoint() ? f.up.mm() + 1.6 * half : (f.up + f.height).mm();
        if (!f.isBreast())
            d.labels->ratherClear(
                QRectF(d.at(onFace(left, top)), d.at(onFace(right, low))).normalized(), 0);
    }
    p.save();
    p.setClipPath(within, Qt::IntersectClip);
    drawBeamEnds(d, room, wall);
    p.restore();
    if (onTheFace) {
        p.save();
        p.setClipPath(within, Qt::IntersectClip);
        onTheFace();
        p.restore();
    }
    // Curtains and pictures are on the wall: what stands before it is drawn over them.
    drawHung(d, scene, wall, pictures);
    // What stands well into the room is not this wall's furniture: only a hint of it is drawn.
    const auto faint = [](const Standing& s) { return s.off > Length::inches(30).mm(); };
    const auto standing = standingBefore(scene, wall);
    for (const Standing& s : standing) {
        p.setOpacity(faint(s) ? 0.28 : 1);
        const Angle off = difference(scene.floor.placed[s.index].pose.turn, w.direction());
        Front(d, scene.floor.piece(s.index), s, std::abs(off.inDegrees()) < 10).draw();
    }
    p.setOpacity(1);
    drawCarried(d, scene, wall);
    for (const Standing& s : standing) {
        const Piece& piece = scene.floor.piece(s.index);
        if (!piece.kind->flat() && !faint(s))
            nameStanding(d, piece, s);
    }
    p.setPen(d.ink(2));
    p.setBrush(Qt::NoBrush);
    p.drawPolygon(d.polygon(face));
    // The floor, thick, at its levels.
    p.setPen(d.ink(4));
    for (const auto& [from, to, level] : floorOf(room, wall))
        p.drawLine(d.at(onFace(from <= 0 ? -drawnWall.mm() : from, level)),
                   d.at(onFace(to >= length ? length + drawnWall.mm() : to, level)));
}

} // namespace mezzet::sheets
