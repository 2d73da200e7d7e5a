#include "sheets/draw_things.h"

#include "scheme/surfaces.h"

#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

/// A thing's front as it is drawn: device, its foot at the bottom.
struct ThingFront {
    const Piece* piece = nullptr;
    QRectF box;
    double forward = 0; ///< what is before is drawn later
};

UnitFrame frameOf(const Piece& unit, const std::vector<DressedSurface>& all, const UnitView& v) {
    // All that it carries reaches: its width and the highest top.
    const double wide = unit.size.width.mm();
    double high = unit.size.height.mm();
    for (const DressedSurface& s : all)
        if (s.isTop())
            high = std::max(high, unit.top().mm() + s.reach());
    UnitFrame f;
    f.scale = std::min(v.into.width() / wide, v.into.height() / high);
    f.foot = {v.into.center().x() - wide * f.scale / 2, v.into.center().y() + high * f.scale / 2};
    return f;
}

std::vector<ThingFront> frontsOf(const Scene& scene, const Piece& unit,
                                 const std::vector<DressedSurface>& all, const UnitFrame& f) {
    std::vector<ThingFront> out;
    for (const DressedSurface& s : all) {
        double left = 0;
        double up = unit.top().mm();
        if (const auto box = s.isTop() ? std::nullopt : openingOf(unit, s.id.index)) {
            left = box->left + unit.size.width.mm() / 2;
            up = box->board;
        }
        for (const DressedThing& t : s.things) {
            const double x = left + t.at.x;
            const double z = up + t.at.z;
            out.push_back(
                {scene.pieceById(t.id),
                 QRectF(f.foot.x() + x * f.scale, f.foot.y() - (z + t.size.height.mm()) * f.scale,
                        t.size.width.mm() * f.scale, t.size.height.mm() * f.scale),
                 t.front()});
        }
    }
    std::stable_sort(out.begin(), out.end(), [](const ThingFront& a, const ThingFront& b) {
        return a.forward < b.forward;
    });
    return out;
}

/// Paints one thing in its form.
class ThingPen {
public:
    ThingPen(QPainter& p, const Look& look, const UnitView& v) : p_(p), look_(look), v_(v) {}

    void draw(const ThingFront& f) {
        const Piece& piece = *f.piece;
        const auto rgb = colourOf(piece);
        QColor fill = rgb ? qcolor(*rgb) : look_.wash(piece.kind->family);
        if (v_.values) {
            const int grey = rgb ? static_cast<int>(std::lround(labOf(*rgb).l * 2.55)) : 160;
            fill = QColor(grey, grey, grey);
        }
        QColor line = look_.ink;
        line.setAlphaF(v_.values ? 0 : 0.75F);
        p_.setPen(QPen(line, v_.pen));
        p_.setBrush(fill);
        const ThingSort sort = piece.kind->thing ? piece.kind->thing->sort : ThingSort::other;
        form(sort, piece, f.box, fill);
        if (piece.id == v_.chosen) {
            p_.setBrush(Qt::NoBrush);
            p_.setPen(QPen(look_.chosen, v_.pen * 2.5));
            p_.drawRect(f.box.adjusted(-v_.pen, -v_.pen, v_.pen, v_.pen));
        }
    }

private:
    void form(ThingSort sort, const Piece& piece, const QRectF& b, const QColor& fill) {
        const double w = b.width();
        const double h = b.height();
        QPainterPath path;
        switch (sort) {
        case ThingSort::book:
            p_.drawRect(b);
            bands(b, liesOf(piece) != Lies::lying);
            return;
        case ThingSort::stack:
            p_.drawRect(b);
            layers(b);
            return;
        case ThingSort::vase:
            path.moveTo(b.left() + w * 0.36, b.top());
            path.lineTo(b.right() - w * 0.36, b.top());
            path.cubicTo(b.right() - w * 0.36, b.top() + h * 0.3, b.right(), b.top() + h * 0.3,
                         b.right(), b.top() + h * 0.62);
            path.cubicTo(b.right(), b.top() + h * 0.9, b.right() - w * 0.24, b.bottom(),
                         b.right() - w * 0.28, b.bottom());
            path.lineTo(b.left() + w * 0.28, b.bottom());
            path.cubicTo(b.left() + w * 0.24, b.bottom(), b.left(), b.top() + h * 0.9, b.left(),
                         b.top() + h * 0.62);
            path.cubicTo(b.left(), b.top() + h * 0.3, b.left() + w * 0.36, b.top() + h * 0.3,
                         b.left() + w * 0.36, b.top());
            break;
        case ThingSort::bowl:
            path.moveTo(b.left(), b.top());
            path.lineTo(b.right(), b.top());
            path.cubicTo(b.right(), b.top() + h * 0.7, b.right() - w * 0.3, b.bottom() - h * 0.06,
                         b.right() - w * 0.34, b.bottom());
            path.lineTo(b.left() + w * 0.34, b.bottom());
            path.cubicTo(b.left() + w * 0.3, b.bottom() - h * 0.06, b.left(), b.top() + h * 0.7,
                         b.left(), b.top());
            break;
        case ThingSort::candle:
            if (w > h * 0.6) {
                p_.drawRoundedRect(b, w * 0.1, w * 0.1);
                return;
            }
            path.addRect(b.left() + w * 0.34, b.top(), w * 0.32, h * 0.42);
            path.addRect(b.left() + w * 0.42, b.top() + h * 0.42, w * 0.16, h * 0.5);
            path.addRoundedRect(b.left(), b.bottom() - h * 0.08, w, h * 0.08, h * 0.03, h * 0.03);
            path.setFillRule(Qt::WindingFill);
            break;
        case ThingSort::flat: {
            p_.drawRect(b);
            QColor inner = fill.lightnessF() > 0.5F ? fill.darker(118) : fill.lighter(150);
            p_.setBrush(inner);
            const double edge = std::min(w, h) * 0.14;
            p_.drawRect(b.adjusted(edge, edge, -edge, -edge));
            return;
        }
        case ThingSort::plant: {
            const double pot = std::min(h * 0.4, w * 0.7);
            QPainterPath leaves;
            leaves.addEllipse(QRectF(b.left(), b.top(), w, h - pot * 0.6));
            p_.drawPath(leaves);
            for (const double t : {0.25, 0.5, 0.75})
                p_.drawLine(QPointF(b.center().x(), b.bottom() - pot * 0.9),
                            QPointF(b.left() + w * t, b.top() + h * 0.12));
            p_.setBrush(fill.darker(160));
            p_.drawRect(
                QRectF(b.center().x() - w * 0.26, b.bottom() - pot * 0.7, w * 0.52, pot * 0.7));
            return;
        }
        case ThingSort::box:
            p_.drawRect(b);
            p_.drawLine(QPointF(b.left(), b.top() + h * 0.28),
                        QPointF(b.right(), b.top() + h * 0.28));
            return;
        case ThingSort::basket:
            p_.drawRoundedRect(b, w * 0.06, w * 0.06);
            layers(b);
            return;
        case ThingSort::lamp:
            path.moveTo(b.left() + w * 0.2, b.top());
            path.lineTo(b.right() - w * 0.2, b.top());
            path.lineTo(b.right(), b.top() + h * 0.4);
            path.lineTo(b.left(), b.top() + h * 0.4);
            path.closeSubpath();
            path.addRect(b.center().x() - w * 0.06, b.top() + h * 0.4, w * 0.12, h * 0.52);
            path.addEllipse(
                QRectF(b.center().x() - w * 0.26, b.bottom() - h * 0.14, w * 0.52, h * 0.14));
            path.setFillRule(Qt::WindingFill);
            break;
        case ThingSort::clock:
            p_.drawRoundedRect(b, w * 0.2, w * 0.2);
            p_.setBrush(look_.floor);
            p_.drawEllipse(b.center(), w * 0.32, std::min(w * 0.32, h * 0.4));
            return;
        case ThingSort::figure:
            if (piece.footprint.form == FootprintForm::oval) {
                p_.drawEllipse(b);
                return;
            }
            path.addEllipse(
                QRectF(b.center().x() - w * 0.22, b.top(), w * 0.44, std::min(h * 0.34, w * 0.6)));
            path.moveTo(b.left() + w * 0.1, b.bottom());
            path.cubicTo(b.left() + w * 0.1, b.top() + h * 0.3, b.right() - w * 0.1,
                         b.top() + h * 0.3, b.right() - w * 0.1, b.bottom());
            path.closeSubpath();
            path.setFillRule(Qt::WindingFill);
            break;
        case ThingSort::tray:
        case ThingSort::riser:
            p_.drawRoundedRect(b, h * 0.2, h * 0.2);
            return;
        case ThingSort::textile:
            p_.drawRoundedRect(b, h * 0.3, h * 0.3);
            p_.drawLine(QPointF(b.left(), b.center().y()), QPointF(b.right(), b.center().y()));
            return;
        case ThingSort::other:
            if (piece.footprint.form == FootprintForm::oval)
                p_.drawRoundedRect(b, w * 0.3, h * 0.3);
            else
                p_.drawRect(b);
            return;
        }
        p_.drawPath(path);
    }

    /// Level lines at its quarters.
    void layers(const QRectF& b) {
        for (int i = 1; i < 4; ++i)
            p_.drawLine(QPointF(b.left(), b.top() + b.height() * i / 4),
                        QPointF(b.right(), b.top() + b.height() * i / 4));
    }

    /// Two thin bands on a spine.
    void bands(const QRectF& b, bool upright) {
        if (std::max(b.width(), b.height()) < 14 * v_.pen)
            return;
        for (const double at : {0.16, 0.84})
            if (upright)
                p_.drawLine(QPointF(b.left(), b.top() + b.height() * at),
                            QPointF(b.right(), b.top() + b.height() * at));
            else
                p_.drawLine(QPointF(b.left() + b.width() * at, b.top()),
                            QPointF(b.left() + b.width() * at, b.bottom()));
    }

    QPainter& p_;
    const Look& look_;
    const UnitView& v_;
};

/// The unit itself: its sides, top and boards, the back of its openings.
void carcass(QPainter& p, const Look& look, const Piece& unit, const UnitFrame& f,
             const UnitView& v) {
    const auto rect = [&](double x0, double z0, double x1, double z1) {
        return QRectF(f.foot + QPointF(x0 * f.scale, -z1 * f.scale),
                      f.foot + QPointF(x1 * f.scale, -z0 * f.scale));
    };
    const auto rgb = colourOf(unit);
    QColor wood = rgb ? qcolor(*rgb) : look.wash(unit.kind->family);
    if (v.values) {
        const int grey = rgb ? static_cast<int>(labOf(*rgb).l * 2.55) : 205;
        wood = QColor(grey, grey, grey);
    }
    p.setPen(QPen(look.ink, v.pen * (v.values ? 0.2 : 1.2)));
    p.setBrush(wood);
    const double wide = unit.size.width.mm();
    const double high = unit.size.height.mm();
    if (unit.openings() == 0) {
        const double top = unit.top().mm();
        if (unit.kind->family == Family::table) {
            const double thick = std::min(40.0, top * 0.1);
            p.drawRect(rect(0, top - thick, wide, top));
            p.drawRect(rect(wide * 0.05, 0, wide * 0.05 + 45, top - thick));
            p.drawRect(rect(wide * 0.95 - 45, 0, wide * 0.95, top - thick));
        } else {
            p.drawRect(rect(0, 0, wide, top));
        }
        return;
    }
    p.drawRect(rect(0, 0, wide, high));
    p.setBrush(v.values ? QColor(190, 190, 190) : wood.darker(112));
    for (int i = 1; i <= unit.openings(); ++i)
        if (const auto o = openingOf(unit, i))
            p.drawRect(rect(o->left + wide / 2, o->board, o->right + wide / 2, o->head));
}

/// Numbers of things, one for all that share it, none over another: where two would lie over each
/// other the later one goes up or down.
void drawNumbers(QPainter& p, const Look& look, const UnitView& v,
                 const std::vector<std::pair<int, QRectF>>& things) {
    std::map<int, QRectF> by;
    for (const auto& [id, box] : things)
        if (const auto it = v.numbers.find(id); it != v.numbers.end())
            by[it->second] = by[it->second].united(box);
    const QFont font = lettering(v.letter);
    const QFontMetricsF m(font);
    std::vector<QRectF> placed;
    for (const auto& [number, box] : by) {
        const QString s = QString::number(number);
        const double w = std::max(m.horizontalAdvance(s), v.letter * 0.7) + v.letter * 0.5;
        QRectF tag(0, 0, w, v.letter * 1.25);
        for (int step = 0; step < 9; ++step) {
            // In its middle, then a line down, a line up, and so on.
            const double off = (step + 1) / 2 * (step % 2 == 1 ? 1.0 : -1.0) * tag.height() * 1.05;
            tag.moveCenter(box.center() + QPointF(0, off));
            if (std::none_of(placed.begin(), placed.end(),
                             [&](const QRectF& other) { return other.intersects(tag); }))
                break;
        }
        placed.push_back(tag);
        QColor paper = look.floor;
        paper.setAlphaF(0.85F);
        p.setPen(Qt::NoPen);
        p.setBrush(paper);
        p.drawRoundedRect(tag, v.letter * 0.3, v.letter * 0.3);
        p.setPen(look.ink);
        p.setFont(font);
        p.drawText(tag, Qt::AlignCenter, s);
    }
}

} // namespace

QColor qcolor(Rgb c) {
    return {c.r, c.g, c.b};
}

void drawUnitFront(QPainter& p, const Look& look, const Scene& scene, int unit, const UnitView& v) {
    const Piece& piece = *scene.pieceById(unit);
    const auto all = dressedSurfaces(scene, unit);
    const UnitFrame f = frameOf(piece, all, v);
    carcass(p, look, piece, f, v);
    ThingPen pen(p, look, v);
    const auto fronts = frontsOf(scene, piece, all, f);
    for (const ThingFront& one : fronts)
        pen.draw(one);
    if (v.letter > 0) {
        std::vector<std::pair<int, QRectF>> boxes;
        for (const ThingFront& one : fronts)
            boxes.emplace_back(one.piece->id, one.box);
        drawNumbers(p, look, v, boxes);
    }
}

void drawTopFromAbove(QPainter& p, const Look& look, const Scene& scene, const DressedSurface& s,
                      const UnitView& v) {
    const double scale = std::min(v.into.width() / s.width, v.into.height() / s.depth);
    const QPointF corner(v.into.center().x() - s.width * scale / 2,
                         v.into.center().y() - s.depth * scale / 2);
    const Piece& unit = *scene.pieceById(s.id.piece);
    p.setPen(QPen(look.ink, v.pen * 1.2));
    p.setBrush(look.wash(unit.kind->family));
    const QRectF board(corner, QSizeF(s.width * scale, s.depth * scale));
    if (unit.footprint.form == FootprintForm::oval)
        p.drawEllipse(board);
    else
        p.drawRect(board);
    // What stands on another is over it.
    std::vector<const DressedThing*> order;
    for (const DressedThing& t : s.things)
        order.push_back(&t);
    std::stable_sort(order.begin(), order.end(), [](const DressedThing* a, const DressedThing* b) {
        return a->at.z < b->at.z;
    });
    for (const DressedThing* t : order) {
        const Piece& piece = *scene.pieceById(t->id);
        const auto rgb = colourOf(piece);
        p.setPen(QPen(look.ink, v.pen));
        p.setBrush(rgb ? qcolor(*rgb) : look.wash(piece.kind->family));
        const QRectF box(corner + QPointF(t->at.x * scale, t->at.y * scale),
                         QSizeF(t->size.width.mm() * scale, t->size.depth.mm() * scale));
        if (piece.footprint.form == FootprintForm::oval)
            p.drawEllipse(box);
        else
            p.drawRect(box);
    }
    if (v.letter > 0) {
        std::vector<std::pair<int, QRectF>> boxes;
        for (const DressedThing* t : order)
            boxes.emplace_back(
                t->id, QRectF(corner + QPointF(t->at.x * scale, t->at.y * scale),
                              QSizeF(t->size.width.mm() * scale, t->size.depth.mm() * scale)));
        drawNumbers(p, look, v, boxes);
    }
}

UnitFrame unitFrame(const Scene& scene, int unit, const UnitView& v) {
    return frameOf(*scene.pieceById(unit), dressedSurfaces(scene, unit), v);
}

std::vector<std::pair<int, QRectF>> thingFronts(const Scene& scene, int unit, const UnitView& v) {
    std::vector<std::pair<int, QRectF>> out;
    const Piece* piece = scene.pieceById(unit);
    if (piece == nullptr)
        return out;
    const auto all = dressedSurfaces(scene, unit);
    for (const ThingFront& f : frontsOf(scene, *piece, all, frameOf(*piece, all, v)))
        out.emplace_back(f.piece->id, f.box);
    return out;
}

} // namespace mezzet::sheets
