// What hangs on a wall, from inside.
#include "hang/display.h"
#include "sheets/drawing.h"
#include "sheets/picture_in.h"
#include "sheets/tr.h"

#include <QFontMetricsF>
#include <QImage>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <map>

namespace mezzet::sheets {

namespace {

/// A piece's outline grown inward by so much, about its own centre, as it is drawn.
QPolygonF ring(const Drawing& d, const Piece& p, const Placed& where, Length inset) {
    Piece small = p;
    small.size.width = p.size.width - inset * 2;
    small.size.height = p.size.height - inset * 2;
    if (small.size.width <= Length{} || small.size.height <= Length{})
        return {};
    std::vector<Vec2> out;
    for (const Vec2 c : outline(placed(small.shape(), drawn(p.on, where.pose)),
                                Length::millimetres(0.25 / d.scale)))
        out.push_back(onFace(c));
    return d.polygon(out);
}

class HungFront {
public:
    HungFront(const Drawing& d, const Piece& p, const Placed& where, const Pictures* pictures)
        : d_(d), p_(p), where_(where), pictures_(pictures), wash_(d.look.wash(p.kind->family)) {}

    void draw() {
        const auto& how = p_.kind->draw;
        if (how == "framed" || how == "canvas")
            framed();
        else if (how == "mirror")
            mirror();
        else if (how == "shelf" || how == "bracket-shelf" || how == "ledge" ||
                 how == "double-shelf")
            shelf();
        else if (how == "sconce")
            sconce();
        else if (how == "curtains" || how == "textile" || how == "blind")
            cloth();
        else if (how == "hooks")
            hooks();
        else if (how == "clock")
            clock();
        else if (how == "plate")
            plate();
        else if (how == "ladder" || how == "ladder-throw")
            ladder();
        else
            plain();
    }

private:
    void outlineAt(Length inset, const QBrush& brush, double width) {
        d_.painter.setPen(d_.ink(width));
        d_.painter.setBrush(brush);
        d_.painter.drawPolygon(ring(d_, p_, where_, inset));
    }
    [[nodiscard]] Vec2 local(double x, double y) const {
        return onFace(where_.pose.at + turned(Vec2{x, y}, -where_.pose.turn));
    }
    void line(double x0, double y0, double x1, double y1, double width = 0.7) {
        d_.painter.setPen(d_.ink(width, d_.look.soft));
        d_.painter.drawLine(d_.at(local(x0, y0)), d_.at(local(x1, y1)));
    }
    [[nodiscard]] double w() const { return p_.size.width.mm() / 2; }
    [[nodiscard]] double h() const { return p_.size.height.mm() / 2; }

    /// Two rails and their rungs, and what is behind seen between them.
    void ladder() {
        const double rail = std::min(w() / 4, 35.0);
        const auto bar = [&](double x0, double y0, double x1, double y1) {
            d_.painter.setPen(d_.ink(1.2));
            d_.painter.setBrush(wash_);
            d_.painter.drawPolygon(QPolygonF{d_.at(local(x0, y0)), d_.at(local(x1, y0)),
                                             d_.at(local(x1, y1)), d_.at(local(x0, y1))});
        };
        constexpr double apart = 330;
        int rungs = std::max(3, static_cast<int>(2 * h() / apart));
        rungs += rungs % 2; // a name stands free between two
        for (int i = 0; i < rungs; ++i) {
            const double y = -h() + 2 * h() * (i + 0.7) / (rungs + 0.4);
            bar(-w() + rail, y - 15, w() - rail, y + 15);
        }
        bar(-w(), -h(), -w() + rail, h());
        bar(w() - rail, -h(), w(), h());
        if (p_.kind->draw == "ladder-throw") {
            // Over a rung at two thirds of its height, and down a third.
            d_.painter.setPen(d_.ink(1));
            d_.painter.setBrush(d_.look.field);
            const double top = h() * 0.36;
            const double foot = -h() * 0.3;
            const double side = w() * 0.7;
            d_.painter.drawPolygon(QPolygonF{d_.at(local(-side, top)), d_.at(local(side, top)),
                                             d_.at(local(side * 0.94, foot)),
                                             d_.at(local(-side * 0.97, foot + 30))});
        }
    }

    void framed() {
        outlineAt({}, d_.look.field, 1.6);
        const Length frame = p_.hanging.frame;
        if (frame > Length{})
            outlineAt(frame, d_.look.field, 0.8);
        const auto face = ring(d_, p_, where_, frame + p_.hanging.mat);
        if (face.isEmpty())
            return;
        const Picture* picture = nullptr;
        if (pictures_ != nullptr && !p_.picture.empty())
            if (const auto it = pictures_->find(p_.picture); it != pictures_->end())
                picture = &it->second;
        d_.painter.setPen(d_.ink(0.7));
        d_.painter.setBrush(wash_);
        d_.painter.drawPolygon(face);
        if (picture == nullptr)
            return;
        const QImage& image = imageOf(*picture);
        if (image.isNull())
            return;
        // It fills its window, cut at the sides that are too long.
        const QRectF to = face.boundingRect();
        const double ratio = to.width() / std::max(to.height(), 1.0);
        QRectF from = image.rect();
        if (from.width() / from.height() > ratio) {
            const double keep = from.height() * ratio;
            from = QRectF(from.center().x() - keep / 2, from.top(), keep, from.height());
        } else {
            const double keep = from.width() / ratio;
            from = QRectF(from.left(), from.center().y() - keep / 2, from.width(), keep);
        }
        d_.painter.save();
        QPainterPath clip;
        clip.addPolygon(face);
        d_.painter.setClipPath(clip, Qt::IntersectClip);
        d_.painter.setRenderHint(QPainter::SmoothPixmapTransform);
        d_.painter.drawImage(to, image, from);
        d_.painter.restore();
    }
    void mirror() {
        outlineAt({}, d_.look.field, 1.6);
        QColor glass = wash_;
        glass.setAlphaF(0.75F);
        outlineAt(p_.hanging.frame, glass, 0.8);
        // Two strokes of light across the glass.
        line(-w() * 0.45, h() * 0.1, -w() * 0.1, h() * 0.5);
        line(-w() * 0.45, -h() * 0.15, w() * 0.1, h() * 0.5);
    }
    void shelf() {
        const auto& how = p_.kind->draw;
        const QColor wood = d_.look.wash(Family::storage);
        if (how == "double-shelf") {
            for (const double y : {h() - 10, -h() + 10}) {
                d_.painter.setPen(d_.ink(1));
                d_.painter.setBrush(wood);
                d_.painter.drawPolygon(d_.polygon({local(-w(), y - 10), local(w(), y - 10),
                                                   local(w(), y + 10), local(-w(), y + 10)}));
            }
            line(-w() * 0.8, -h(), -w() * 0.8, h());
            line(w() * 0.8, -h(), w() * 0.8, h());
            return;
        }
        outlineAt({}, wood, 1.1);
        if (how == "ledge")
            line(-w(), h() * 0.1, w(), h() * 0.1);
        if (how == "bracket-shelf")
            for (const double x : {-w() * 0.68, w() * 0.68}) {
                line(x, -h(), x, -h() - 150, 1.2);
                line(x - 12, -h() - 150, x + 12, -h() - 150, 1.2);
            }
    }
    void sconce() {
        outlineAt({}, d_.look.wash(Family::light), 1.2);
        if (p_.size.height > p_.size.width)
            line(-w(), -h() * 0.45, w(), -h() * 0.45);
    }
    void cloth() {
        QColor c = wash_;
        c.setAlphaF(0.6F);
        if (p_.kind->draw == "curtains") {
            // Drawn back to either side, and the rod over all.
            const double stack = stackBack(p_).mm();
            for (const double side : {-1.0, 1.0}) {
                const double out = side * w();
                const double in = side * (w() - stack);
                d_.painter.setPen(d_.ink(1));
                d_.painter.setBrush(c);
                d_.painter.drawPolygon(d_.polygon({local(out, -h()), local(in, -h()),
                                                   local(in, h() - 25), local(out, h() - 25)}));
                for (int i = 1; i < 4; ++i)
                    line(out - side * stack * i / 4, -h(), out - side * stack * i / 4, h() - 25);
            }
            line(-w() - 30, h() - 12, w() + 30, h() - 12, 2.2);
            return;
        }
        outlineAt({}, c, 1);
        const int folds = p_.kind->draw == "blind" ? 4 : 0;
        for (int i = 1; i <= folds; ++i)
            line(-w(), -h() + 2 * h() * i / (folds + 1), w(), -h() + 2 * h() * i / (folds + 1));
        if (folds == 0)
            line(-w() - 20, h() - 8, w() + 20, h() - 8, 2);
    }
    void hooks() {
        outlineAt({}, d_.look.wash(Family::storage), 1);
        const int count = std::max(1, static_cast<int>(p_.size.width.mm() / 140));
        for (int i = 0; i < count; ++i) {
            const double x = count == 1 ? 0 : -w() * 0.85 + 2 * w() * 0.85 * i / (count - 1);
            line(x, h() * 0.5, x, -h() * 0.6, 1.4);
            line(x, -h() * 0.6, x + 12, -h() * 0.2, 1.4);
        }
    }
    void clock() {
        outlineAt({}, d_.look.field, 1.6);
        line(0, 0, 0, h() * 0.7, 1.4);
        line(0, 0, w() * 0.45, 0, 1.4);
    }
    void plate() {
        outlineAt({}, wash_, 1.2);
        outlineAt(Length::millimetres(std::min(w(), h()) * 0.3), d_.look.field, 0.7);
    }
    void plain() {
        outlineAt({}, wash_, 1.2);
        if (p_.kind->draw == "doors") {
            line(0, -h(), 0, h());
            line(-w(), -h() * 0.94, w(), -h() * 0.94);
        }
    }

    const Drawing& d_;
    const Piece& p_;
    const Placed& where_;
    const Pictures* pictures_;
    QColor wash_;
};

/// A name inside a piece when there is room for it, in one line or broken.
void nameHung(const Drawing& d, const Piece& p, const Placed& where) {
    if (!p.picture.empty() || d.labels == nullptr)
        return;
    const auto name = QString::fromStdString(p.name);
    const Box b = bounds(where.shape);
    const QRectF in = QRectF(d.at(onFace({b.low.x, b.high.y})), d.at(onFace({b.high.x, b.low.y})))
                          .normalized()
                          .adjusted(3 * d.pen, 0, -3 * d.pen, 0);
    const QFont font = sans(11.5 * d.pen);
    const QFontMetricsF m(font);
    const QRectF need = m.boundingRect(QRectF(QPointF(), in.size()),
                                       Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, name);
    double widest = 0;
    for (const auto& word : name.split(' '))
        widest = std::max(widest, m.horizontalAdvance(word));
    if (widest > in.width() || need.height() > in.height() || need.width() > in.width() + 1)
        return;
    Label l;
    l.weight = 16;
    l.of = p.id;
    const QSizeF size(need.width() + 2 * d.pen, need.height());
    const double free = std::max(0.0, in.height() - size.height());
    for (const double share : {0.5, 0.3, 0.7, 0.15, 0.85, 0.0, 1.0}) {
        QRectF box(QPointF(), size);
        box.moveCenter({in.center().x(), in.top() + size.height() / 2 + share * free});
        l.places.push_back(box);
    }
    l.paint = [name, font, ink = d.look.ink, places = l.places](QPainter& to, std::size_t at) {
        to.setFont(font);
        to.setPen(ink);
        to.drawText(places[at].adjusted(-1, 0, 1, 0), Qt::AlignCenter | Qt::TextWordWrap, name);
    };
    d.labels->add(std::move(l));
}

} // namespace

void drawHungPiece(const Drawing& d, const Piece& p, const Placed& where,
                   const Pictures* pictures) {
    if (p.isGroup()) {
        const Box b = bounds(where.shape);
        d.painter.setPen(QPen(d.look.ink, d.pen, Qt::DashLine));
        d.painter.setBrush(Qt::NoBrush);
        d.painter.drawRect(
            QRectF(d.at(onFace({b.low.x, b.high.y})), d.at(onFace({b.high.x, b.low.y})))
                .adjusted(-5 * d.pen, -5 * d.pen, 5 * d.pen, 5 * d.pen));
        return;
    }
    HungFront(d, p, where, pictures).draw();
}

void drawHung(const Drawing& d, const WallsView& scene, int wall, const Pictures* pictures) {
    const auto draw = [&](std::size_t i) {
        const Piece& p = scene.hungPiece(i);
        drawHungPiece(d, p, scene.hung[i], pictures);
        if (!p.isGroup())
            nameHung(d, p, scene.hung[i]);
    };
    // What hangs, then what leans before it, the foremost last.
    for (std::size_t i = 0; i < scene.hung.size(); ++i)
        if (scene.hungPiece(i).wall() == wall &&
            (scene.hungPiece(i).isGroup() || scene.hungPiece(i).hanging.mount != Mount::leaned))
            draw(i);
    const auto leaning = leaningOn(scene, wall);
    // Names lie rather on what of a thing is seen.
    if (d.labels != nullptr && leaning.size() > 1)
        for (const Leaning& l : leaning)
            d.labels->ratherClear(QRectF(d.at(onFace({l.box.low.x, l.box.high.y})),
                                         d.at(onFace({l.box.high.x, l.box.low.y}))),
                                  l.id);
    for (const Leaning& l : leaning)
        for (std::size_t i = 0; i < scene.hung.size(); ++i)
            if (scene.hung[i].id == l.id)
                draw(i);
}

void drawEyeBand(const Drawing& d, const Room& room, int wall, const Band& band) {
    if (!band.low || !band.high)
        return;
    const double length = room.walls[static_cast<std::size_t>(wall)].length().mm();
    const Fixture* stairs = stairsOn(room, wall);
    std::vector<double> at{0, length};
    if (stairs != nullptr)
        for (const Length s : {stairs->left, stairs->left + stairs->width})
            if (s.mm() > 0 && s.mm() < length)
                at.push_back(s.mm());
    std::sort(at.begin(), at.end());
    std::vector<Vec2> ring;
    const auto level = [&](double s) {
        if (stairs == nullptr)
            return 0.0;
        const bool before =
            stairs->upRight ? s < stairs->left.mm() : s > (stairs->left + stairs->width).mm();
        return before ? 0.0 : nosingAt(*stairs, s);
    };
    for (const double s : at)
        ring.push_back(onFace({s, level(s) + *band.low}));
    for (auto it = at.rbegin(); it != at.rend(); ++it)
        ring.push_back(onFace({*it, level(*it) + *band.high}));
    if (stairs != nullptr) {
        // The line over the nosings, from which eyes are measured.
        std::vector<Vec2> nosings;
        for (const double s : at)
            nosings.push_back(onFace({s, level(s)}));
        d.painter.setPen(QPen(d.look.soft, d.pen, Qt::DashLine));
        d.painter.drawPolyline(d.polygon(nosings));
    }
    QColor wash = d.look.tape;
    wash.setAlphaF(0.35F);
    d.painter.setPen(Qt::NoPen);
    d.painter.setBrush(wash);
    d.painter.drawPolygon(d.polygon(ring));
    const auto say = [&](double mm) {
        return QString::fromStdString(writeBare(Length::millimetres(mm), d.notation));
    };
    const Words words{tr("eye level %1 to %2").arg(say(*band.low), say(*band.high)),
                      lettering(11 * d.pen), d.look.soft, 10};
    // At its left end, or wherever along it nothing else is.
    std::vector<QRectF> places;
    const QRectF box = wordsAbout({}, words, d.pen);
    for (double s = 0; s < length; s += 150) {
        const QPointF p = d.at(onFace({s, level(s) + (*band.low + *band.high) / 2}));
        places.push_back(box.translated(p.x() + 6 * d.pen + box.width() / 2, p.y()));
        if (places.back().right() > d.at(onFace({length, 0})).x())
            places.pop_back();
    }
    drawWords(d, std::move(places), words);
}

void drawHooks(const Drawing& d, const std::vector<HangOf>& all) {
    const double r = 4.5 * d.pen;
    for (const HangOf& h : all)
        for (const HookPoint& k : h.hooks) {
            const QPointF at = d.at(onFace({k.along.mm(), k.up.mm()}));
            d.painter.setPen(QPen(d.look.tight, 1.6 * d.pen));
            d.painter.drawLine(at - QPointF(r, r), at + QPointF(r, r));
            d.painter.drawLine(at + QPointF(-r, r), at + QPointF(r, -r));
            if (k.into == Fixing::stud) {
                d.painter.setBrush(Qt::NoBrush);
                d.painter.drawEllipse(at, r * 1.5, r * 1.5);
            }
        }
}

void drawHookNumber(const Drawing& d, Length along, Length height, int number) {
    if (d.labels == nullptr)
        return;
    const QPointF at = d.at(onFace({along.mm(), height.mm()}));
    const double cross = 4.8 * d.pen;
    d.labels->keepClear(QRectF(at.x() - cross, at.y() - cross, 2 * cross, 2 * cross));
    // On a patch of bare paper beside its cross.
    const Words words{QString::number(number),
                      sans(10 * d.pen, QFont::DemiBold),
                      d.look.ink,
                      80,
                      0,
                      d.look.field};
    const QRectF box = wordsAbout({}, words, 0.8 * d.pen);
    std::vector<QRectF> places;
    for (const double far : {1.0, 1.9, 2.8})
        for (const QPointF way : {QPointF(1, -1), QPointF(1, 1), QPointF(-1, -1), QPointF(-1, 1),
                                  QPointF(0, -1.3), QPointF(0, 1.3)})
            places.push_back(
                box.translated(at + QPointF(way.x() * (5 * d.pen + box.width() / 2) * far,
                                            way.y() * (5 * d.pen + box.height() / 2) * far * 0.8)));
    drawWords(d, std::move(places), words);
}

void drawReflection(const Drawing& d, const Scene& scene, const std::vector<MirrorStrip>& all) {
    d.painter.setPen(Qt::NoPen);
    for (const MirrorStrip& s : all) {
        QColor c = d.look.floor;
        if (s.what.is == Target::Is::piece) {
            if (const Piece* p = scene.scheme->byId(s.what.piece))
                c = d.look.wash(p->kind->family);
        } else if (s.what.is == Target::Is::window) {
            c = d.look.field;
        } else if (s.what.is == Target::Is::room) {
            c = d.look.panel;
        } else if (s.what.is == Target::Is::ceiling) {
            c = d.look.graph;
        } else if (s.what.is == Target::Is::door || s.what.is == Target::Is::opening) {
            c = d.look.panelEdge;
        }
        if (s.hidden)
            c = d.look.soft;
        d.painter.fillRect(QRectF(d.at(onFace({s.from, s.high})), d.at(onFace({s.to, s.low})))
                               .adjusted(0, 0, 0.6, 0),
                           c);
    }
    // Lines where one thing ends and another begins, strip to strip.
    d.painter.setPen(d.ink(0.8));
    for (const MirrorStrip& s : all) {
        for (const double z : {s.low, s.high})
            d.painter.drawLine(d.at(onFace({s.from, z})), d.at(onFace({s.to, z})));
    }
}

void drawCorners(const Drawing& d, const WallsView& scene, int wall) {
    const Room& room = *scene.room;
    const int count = static_cast<int>(room.walls.size());
    const double length = room.walls[static_cast<std::size_t>(wall)].length().mm();
    QColor faint = d.look.soft;
    faint.setAlphaF(0.55F);
    d.painter.setBrush(Qt::NoBrush);
    for (const bool left : {true, false}) {
        if (!room.closed && ((left && wall == 0) || (!left && wall == count - 1)))
            continue;
        const int other = left ? (wall + count - 1) % count : (wall + 1) % count;
        const Wall& w = room.walls[static_cast<std::size_t>(other)];
        // Depths of what is on the adjoining wall, where it comes near the corner.
        const auto edge = [&](double out, double low, double high) {
            const double x = left ? out : length - out;
            d.painter.setPen(QPen(faint, 1.2 * d.pen, Qt::DashDotLine));
            d.painter.drawLine(d.at(onFace({x, low})), d.at(onFace({x, high})));
        };
        for (std::size_t i = 0; i < scene.hung.size(); ++i) {
            const Piece& p = scene.hungPiece(i);
            const Box b = bounds(scene.hung[i].shape);
            const double near = left ? w.length().mm() - b.high.x : b.low.x;
            if (p.wall() == other && !p.isGroup() && near < 600)
                edge(p.size.depth.mm(), b.low.y, b.high.y);
        }
        for (const Opening& o : room.openings) {
            const double near = left ? (w.length() - o.left - o.width).mm() : o.left.mm();
            if (o.wall == other && near < 300)
                edge(12, o.sill.mm(), o.head().mm());
        }
        for (const Fixture& f : room.fixtures) {
            const double near = left ? (w.length() - f.left - f.width).mm() : f.left.mm();
            if (f.wall == other && !f.isPoint() && near < 300 && f.depth > Length{})
                edge(f.depth.mm(), f.up.mm(),
                     f.toCeiling ? room.ceiling.mm() : (f.up + f.height).mm());
        }
    }
}

Reading onPaper(Reading r) {
    r.at = {onFace(r.at[0]), onFace(r.at[1])};
    return r;
}

void drawWallReadings(const Drawing& d, const std::vector<Reading>& all, int wall,
                      const std::vector<int>& chosen) {
    const auto about = [&](const Reading& r) {
        return std::any_of(chosen.begin(), chosen.end(), [&](int id) { return r.isAbout(id); });
    };
    // A proportion is no stretch: it is told on the tape.
    const auto shown = [&](const Reading& r) {
        return r.seenOn(onWall(wall)) && r.verdict != Verdict::note &&
               r.value.quantity == Quantity::length && (about(r) || r.toMend());
    };
    for (const Reading& r : all)
        if (shown(r))
            drawReadingStretch(d, onPaper(r), about(r));
    ReadingMarks marks;
    for (const bool own : {true, false})
        for (std::size_t i = 0; i < all.size(); ++i)
            if (shown(all[i]) && about(all[i]) == own && marks.isNew(all[i]))
                drawReading(d, onPaper(all[i]), own, static_cast<int>(i));
}

} // namespace mezzet::sheets
