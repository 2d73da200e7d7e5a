#include "sheets/drawing.h"

#include <QFontMetricsF>

#include <algorithm>
#include <optional>
#include <vector>

namespace mezzet::sheets {

void drawVerdict(QPainter& p, const QRectF& r, Verdict v, const QColor& colour) {
    p.save();
    p.setPen(Qt::NoPen);
    p.setBrush(colour);
    const double mid = r.center().y();
    const double c = r.center().x();
    const double gap = r.width() * 0.06;
    switch (v) {
    case Verdict::tight: // points inward
        p.drawPolygon(QPolygonF{{r.left(), r.top()}, {c - gap, mid}, {r.left(), r.bottom()}});
        p.drawPolygon(QPolygonF{{r.right(), r.top()}, {c + gap, mid}, {r.right(), r.bottom()}});
        break;
    case Verdict::loose: // points outward
        p.drawPolygon(QPolygonF{{c - gap, r.top()}, {r.left(), mid}, {c - gap, r.bottom()}});
        p.drawPolygon(QPolygonF{{c + gap, r.top()}, {r.right(), mid}, {c + gap, r.bottom()}});
        break;
    case Verdict::right: // a bar between stops
    case Verdict::note: {
        QPen pen(colour, std::max(1.0, r.height() * 0.17));
        pen.setCapStyle(Qt::FlatCap);
        p.setPen(pen);
        p.drawLine(QPointF(r.left(), mid), QPointF(r.right(), mid));
        if (v == Verdict::right) {
            p.drawLine(QPointF(r.left(), r.top()), QPointF(r.left(), r.bottom()));
            p.drawLine(QPointF(r.right(), r.top()), QPointF(r.right(), r.bottom()));
        }
        break;
    }
    case Verdict::clash: { // cross-hatch
        QPen pen(colour, std::max(0.8, r.height() * 0.11));
        p.setPen(pen);
        p.setClipRect(r, Qt::IntersectClip);
        const double step = r.height() * 0.42;
        for (double x = r.left() - r.height(); x < r.right() + r.height(); x += step) {
            p.drawLine(QPointF(x, r.bottom()), QPointF(x + r.height(), r.top()));
            p.drawLine(QPointF(x, r.top()), QPointF(x + r.height(), r.bottom()));
        }
        p.setBrush(Qt::NoBrush);
        p.drawRect(r);
        break;
    }
    }
    p.restore();
}

void drawReadingStretch(const Drawing& d, const Reading& r, bool strong) {
    QPainter& p = d.painter;
    const QColor colour = d.look.of(r.verdict);
    const QPointF a = d.at(r.at[0]);
    const QPointF b = d.at(r.at[1]);
    p.setPen(d.ink(strong ? 2.2 : 1.4, colour));
    p.drawLine(a, b);
    const QPointF along = b - a;
    const double length = std::hypot(along.x(), along.y());
    if (length > 0.5) {
        const QPointF n(-along.y() / length * 4 * d.pen, along.x() / length * 4 * d.pen);
        p.drawLine(a - n, a + n);
        p.drawLine(b - n, b + n);
    }
}

std::vector<QRectF> placesAbout(QPointF middle, QSizeF size, int reach) {
    // Steps in shares of the box, nearest first; farther out they grow, so that few are needed.
    static const auto steps = [] {
        std::vector<QPointF> all;
        for (int up = -12; up <= 12; ++up)
            for (int side = -6; side <= 6; ++side)
                all.emplace_back(side * 0.55, up * 1.15);
        std::stable_sort(all.begin(), all.end(), [](QPointF m, QPointF n) {
            // In heights of a box, about three of which are its width.
            return std::hypot(m.x() * 3, m.y()) < std::hypot(n.x() * 3, n.y());
        });
        return all;
    }();
    std::vector<QRectF> out;
    for (const QPointF s : steps) {
        if (std::hypot(s.x() * 3, s.y()) > reach * 1.15)
            break;
        QRectF box(QPointF(), size);
        box.moveCenter(middle + QPointF(s.x() * size.width(), s.y() * size.height()));
        out.push_back(box);
    }
    return out;
}

QRectF wordsAbout(QPointF middle, const Words& w, double pen) {
    const QFontMetricsF m(w.font);
    QRectF box(0, 0, m.horizontalAdvance(w.text) + 4 * pen, m.height());
    box.moveCenter(middle);
    return box;
}

void drawWords(const Drawing& d, std::vector<QRectF> places, const Words& w) {
    if (d.labels == nullptr || w.text.isEmpty() || places.empty())
        return;
    Label l;
    l.weight = w.weight;
    l.of = w.of;
    l.places = std::move(places);
    l.paint = [w, places = l.places](QPainter& p, std::size_t at) {
        if (w.halo.alpha() > 0)
            p.fillRect(places[at], w.halo);
        p.setFont(w.font);
        p.setPen(w.ink);
        p.drawText(places[at], Qt::AlignCenter, w.text);
    };
    d.labels->add(std::move(l));
}

bool sameMark(const Reading& a, const Reading& b) {
    const auto near = [](Vec2 p, Vec2 q) { return norm(p - q) < 1; };
    return a.verdict == b.verdict && a.surface == b.surface &&
           a.value.quantity == b.value.quantity && std::abs(a.value.value - b.value.value) < 0.01 &&
           ((near(a.at[0], b.at[0]) && near(a.at[1], b.at[1])) ||
            (near(a.at[0], b.at[1]) && near(a.at[1], b.at[0])));
}

bool ReadingMarks::isNew(const Reading& r) {
    if (std::any_of(seen_.begin(), seen_.end(),
                    [&](const Reading* other) { return sameMark(*other, r); }))
        return false;
    seen_.push_back(&r);
    return true;
}

void drawReading(const Drawing& d, const Reading& r, bool strong, int tag) {
    const QColor colour = d.look.of(r.verdict);
    drawChip(d, d.at(r.at[0]), d.at(r.at[1]),
             {QString::fromStdString(words(r.value, d.notation)), lettering(12.5 * d.pen), colour,
              colour, d.look.field, strong ? 1.8 : 1.2, false, 100, r.verdict, strong ? 45.0 : 40.0,
              tag});
}

void drawDimension(const Drawing& d, QPointF a, QPointF b, double away, const QString& figure,
                   double letter) {
    const QPointF step = b - a;
    const double length = std::hypot(step.x(), step.y());
    if (length < 1e-6 || d.labels == nullptr)
        return;
    const QPointF along = step / length;
    const QPointF out(along.y(), -along.x());
    const QFont font = lettering(letter);
    const double w = QFontMetricsF(font).horizontalAdvance(figure) + letter * 0.7;
    const bool inside = w < length;
    // Where the figure goes: in the line, or, when the stretch is short, farther out.
    const QPointF from = a + out * away;
    const QPointF to = b + out * away;
    QPointF centre = (from + to) / 2;
    if (!inside)
        centre += out * letter * 1.15;
    const double spanX = std::abs(along.x()) * w + std::abs(out.x()) * letter * 1.2;
    const double spanY = std::abs(along.y()) * w + std::abs(out.y()) * letter * 1.2;
    Label l;
    l.weight = 100;
    const auto tryAt = [&](QPointF c) {
        l.places.emplace_back(c.x() - spanX / 2, c.y() - spanY / 2, spanX, spanY);
    };
    // In the line, toward either end, then farther out, then to the other side.
    for (const double slide : {0.0, -0.25, 0.25})
        if (slide == 0.0 || w < length * 0.45)
            tryAt(centre + along * (slide * length));
    for (int tries = 1; tries <= 6; ++tries)
        tryAt(centre + out * (letter * 1.2 * tries));
    tryAt((from + to) / 2 - out * letter * 1.15);
    const double u = d.pen;
    l.paint = [=, ink = d.look.ink, places = l.places](QPainter& p, std::size_t at) {
        const QPointF c = places[at].center();
        p.setPen(QPen(ink, 0.6 * u));
        // Extension lines, ticks, and the line with a gap for the figure.
        p.drawLine(a + out * 3 * u, from + out * 3 * u);
        p.drawLine(b + out * 3 * u, to + out * 3 * u);
        const QPointF slant = (along - out) * 3.2 * u;
        p.setPen(QPen(ink, 1.2 * u));
        p.drawLine(from - slant, from + slant);
        p.drawLine(to - slant, to + slant);
        p.setPen(QPen(ink, 0.6 * u));
        const QPointF off = c - from;
        const bool inLine = std::abs(off.x() * out.x() + off.y() * out.y()) < letter * 0.1;
        if (inside && inLine) {
            const QPointF half = along * (w / 2);
            p.drawLine(from, c - half);
            p.drawLine(c + half, to);
        } else {
            p.drawLine(from, to);
        }
        p.save();
        p.translate(c);
        double angle = std::atan2(along.y(), along.x()) * 180 / 3.141592653589793;
        // Read from below or from the right, never upside down.
        if (angle > 89.9 || angle < -90.1)
            angle += 180;
        p.rotate(angle);
        p.setFont(font);
        p.setPen(ink);
        p.drawText(QRectF(-w / 2, -letter, w, 2 * letter), Qt::AlignCenter, figure);
        p.restore();
    };
    d.labels->add(std::move(l));
}

} // namespace mezzet::sheets
