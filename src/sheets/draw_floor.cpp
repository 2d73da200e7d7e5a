#include "sheets/draw_floor.h"

#include "geometry/polygon.h"
#include "room/facts.h"

#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace mezzet::sheets {

namespace {

/// A small label on its own field.
void label(const Drawing& d, QPointF at, const QString& text, const QColor& colour,
           double letter = 12.5) {
    drawChip(d, at, at,
             {text, sans(letter * d.pen, QFont::Medium), colour, colour, d.look.field, 1.1, false,
              5, std::nullopt, 50});
}

} // namespace

void drawUseZones(const Drawing& d, const std::vector<UseZone>& zones, Notation n) {
    QPainter& p = d.painter;
    for (const bool clashes : {false, true}) {
        for (const UseZone& z : zones) {
            const bool clash = z.free < z.wanted - Length::millimetres(0.1);
            if (clash != clashes)
                continue;
            const QColor colour = clash ? d.look.tight : d.look.right;
            QColor wash = colour;
            wash.setAlphaF(clash ? 0.55F : 0.12F);
            p.setPen(QPen(colour, 1.3 * d.pen, Qt::DashLine));
            p.setBrush(clash ? QBrush(wash, Qt::DiagCrossPattern) : QBrush(wash));
            p.drawPolygon(d.polygon(z.outline));
        }
    }
    for (const UseZone& z : zones) {
        if (z.free >= z.wanted - Length::millimetres(0.1) || z.says.empty())
            continue;
        Vec2 middle = centroid(z.outline);
        label(d, d.at(middle),
              QString::fromStdString(z.says + ": " + writeGap(z.free, n) + " of " +
                                     writeGap(z.wanted, n)),
              d.look.tight, 11.5);
    }
}

void drawWays(const Drawing& d, const std::vector<DrawnWay>& ways) {
    QPainter& p = d.painter;
    for (const DrawnWay& w : ways) {
        const QColor colour = w.right ? d.look.right : d.look.tight;
        QPainterPath path;
        path.moveTo(d.at(w.line.front()));
        // Corners walked round, not turned on.
        for (std::size_t i = 1; i + 1 < w.line.size(); ++i) {
            const QPointF a = d.at(w.line[i - 1]);
            const QPointF b = d.at(w.line[i]);
            const QPointF c = d.at(w.line[i + 1]);
            const auto toward = [&](QPointF from, QPointF to) {
                const double n = std::hypot(to.x() - from.x(), to.y() - from.y());
                const double in = std::min(0.45 * n, 350 * d.scale);
                return n > 0 ? from + (to - from) * (in / n) : from;
            };
            path.lineTo(toward(b, a));
            path.quadTo(b, toward(b, c));
        }
        path.lineTo(d.at(w.line.back()));
        p.setBrush(Qt::NoBrush);
        QColor halo = d.look.floor;
        halo.setAlphaF(0.8F);
        p.setPen(QPen(halo, 6 * d.pen, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        p.drawPath(path);
        QPen steps(colour, 3.2 * d.pen, Qt::CustomDashLine, Qt::RoundCap, Qt::RoundJoin);
        steps.setDashPattern({0.1, 2.6});
        p.setPen(steps);
        p.drawPath(path);
        p.setPen(Qt::NoPen);
        p.setBrush(colour);
        for (const Vec2 end : {w.line.front(), w.line.back()})
            p.drawEllipse(d.at(end), 4 * d.pen, 4 * d.pen);
    }
    for (const DrawnWay& w : ways) {
        if (!w.width)
            continue;
        const QColor colour = w.right ? d.look.right : d.look.tight;
        const QPointF a = d.at(w.pinch[0]);
        const QPointF b = d.at(w.pinch[1]);
        p.setPen(d.ink(2.2, colour));
        p.drawLine(a, b);
        const QPointF along = b - a;
        const double n = std::hypot(along.x(), along.y());
        if (n > 1) {
            const QPointF side = QPointF(-along.y(), along.x()) * (6 * d.pen / n);
            p.drawLine(a - side, a + side);
            p.drawLine(b - side, b + side);
        }
        label(d, (a + b) / 2, QString::fromStdString(writeGap(*w.width, d.notation)), colour);
    }
}

void drawZones(const Drawing& d, const ZonesFacts& facts) {
    QPainter& p = d.painter;
    for (const ZoneFacts& z : facts.zones) {
        if (z.outline.size() < 3)
            continue;
        QPainterPath path;
        path.addPolygon(d.polygon(z.outline));
        path.closeSubpath();
        // A little larger than its pieces, with round corners.
        QPainterPathStroker stroke;
        stroke.setWidth(160 * d.scale);
        stroke.setJoinStyle(Qt::RoundJoin);
        const QPainterPath wide = path.united(stroke.createStroke(path)).simplified();
        QColor wash = d.look.chosen;
        wash.setAlphaF(0.07F);
        p.setPen(QPen(d.look.chosen, 1.6 * d.pen, Qt::DashDotLine));
        p.setBrush(wash);
        p.drawPath(wide);
    }
    for (const ZoneFacts& z : facts.zones) {
        if (z.outline.size() < 3)
            continue;
        Vec2 top = z.outline.front();
        for (const Vec2 c : z.outline)
            if (c.y < top.y)
                top = c;
        const Vec2 middle = centroid(z.outline);
        label(d, d.at({middle.x, top.y - 80}),
              QString::fromStdString(z.name + ", " + writeArea(z.area, d.notation.units)),
              d.look.chosen);
    }
    for (const ZoneGap& g : facts.gaps) {
        const QPointF a = d.at(g.onFirst);
        const QPointF b = d.at(g.onSecond);
        p.setPen(d.ink(1.4, d.look.chosen));
        p.drawLine(a, b);
        label(d, (a + b) / 2, QString::fromStdString(writeGap(g.apart, d.notation)), d.look.chosen,
              11.5);
    }
}

void drawView(const Drawing& d, const RoomView& v) {
    QPainter& p = d.painter;
    for (const ViewPart& part : v.parts) {
        const Target& t = v.owners[static_cast<std::size_t>(part.owner)];
        const auto item = std::find_if(v.items.begin(), v.items.end(),
                                       [&](const ViewItem& i) { return i.what == t; });
        const bool back = item != v.items.end() && item->backSeen;
        // A fan out to what is met: fine enough to follow a wall.
        std::vector<Vec2> fan{v.from};
        const int steps = std::max(1, static_cast<int>(part.sweep.inDegrees() / 2));
        const double far = norm(part.nearest - v.from);
        for (int i = 0; i <= steps; ++i) {
            // A hair inside the part, where its thing is surely met.
            const double share = std::clamp(static_cast<double>(i) / steps, 0.0005, 0.9995);
            const double a = part.from.inRadians() + part.sweep.inRadians() * share;
            const Vec2 way{std::cos(a), std::sin(a)};
            double near = -1;
            for (const Seen& s : v.seen)
                if (s.owner == part.owner)
                    if (const double ahead = along(v.from, way, s.shape);
                        ahead >= 0 && (near < 0 || ahead < near))
                        near = ahead;
            fan.push_back(v.from + way * (near < 0 ? far : near));
        }
        QColor wash = back ? d.look.tight : t.is == Target::Is::piece ? d.look.chosen : d.look.tape;
        wash.setAlphaF(back ? 0.30F : 0.16F);
        p.setPen(Qt::NoPen);
        p.setBrush(wash);
        p.drawPolygon(d.polygon(fan));
    }
    p.setBrush(d.look.ink);
    p.setPen(d.ink(1.2, d.look.field));
    p.drawEllipse(d.at(v.from), 6 * d.pen, 6 * d.pen);
    if (v.first) {
        p.setPen(QPen(d.look.ink, 1.4 * d.pen, Qt::DashLine));
        p.drawLine(d.at(v.from), d.at(v.firstAt));
    }
}

void drawRegions(const Drawing& d, const std::vector<AllowedRegion>& regions) {
    QPainter& p = d.painter;
    for (const AllowedRegion& r : regions) {
        QPainterPath path;
        path.setFillRule(Qt::OddEvenFill);
        for (const auto* rings : {&r.outlines, &r.holes})
            for (const auto& ring : *rings) {
                path.addPolygon(d.polygon(ring));
                path.closeSubpath();
            }
        QColor wash = d.look.right;
        wash.setAlphaF(0.22F);
        p.setPen(d.ink(1.4, d.look.right));
        p.setBrush(wash);
        p.drawPath(path);
    }
}

} // namespace mezzet::sheets
