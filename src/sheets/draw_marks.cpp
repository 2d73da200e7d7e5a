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

void drawReading(const Drawing& d, const Reading& r, std::vector<QRectF>& taken, bool strong,
                 const std::function<bool(const QRectF&)>& onName) {
    QPainter& p = d.painter;
    const QColor colour = d.look.of(r.verdict);
    const QPointF a = d.at(r.at[0]);
    const QPointF b = d.at(r.at[1]);
    const QFont font = lettering(12.5 * d.pen);
    const auto text = QString::fromStdString(words(r.value, d.notation));
    const double textWidth = QFontMetricsF(font).horizontalAdvance(text);
    const double h = 19 * d.pen;
    const double w = textWidth + 37 * d.pen;
    // The chip sits on the stretch when there is room beside nothing else; else it steps aside.
    const QPointF middle = (a + b) / 2;
    // A name is kept clear of too, where that can be, and the nearest such place taken.
    static const auto aside = [] {
        std::vector<QPointF> all;
        for (int up = -3; up <= 3; ++up)
            for (int side = -3; side <= 3; ++side)
                all.emplace_back(up * 0.55, side * 1.15);
        std::stable_sort(all.begin(), all.end(), [](QPointF m, QPointF n) {
            // In heights of a chip, about three of which are its width.
            return std::hypot(m.x() * 3, m.y()) < std::hypot(n.x() * 3, n.y());
        });
        return all;
    }();
    const auto at = [&](QPointF step) {
        return QRectF(middle.x() - w / 2 + step.x() * w, middle.y() - h / 2 + step.y() * h, w, h);
    };
    const auto place = [&](bool clearOfNames) -> std::optional<QRectF> {
        for (const QPointF step : aside) {
            const QRectF chip = at(step);
            if (std::none_of(taken.begin(), taken.end(),
                             [&](const QRectF& t) { return t.intersects(chip); }) &&
                !(clearOfNames && (onName(chip) || !QRectF(p.window()).contains(chip))))
                return chip;
        }
        return {};
    };
    auto found = onName ? place(true) : std::nullopt;
    if (!found)
        found = place(false);
    const QRectF chip = found.value_or(at(aside.back()));
    taken.push_back(chip);
    p.setPen(d.ink(strong ? 1.8 : 1.2, colour));
    p.setBrush(d.look.field);
    p.drawRoundedRect(chip, h / 2, h / 2);
    p.setFont(font);
    p.drawText(QRectF(chip.left() + 8 * d.pen, chip.top(), textWidth + 2 * d.pen, h),
               Qt::AlignVCenter | Qt::AlignLeft, text);
    drawVerdict(
        p, QRectF(chip.right() - 24 * d.pen, chip.center().y() - 4 * d.pen, 16 * d.pen, 8 * d.pen),
        r.verdict, colour);
}

bool drawDimension(const Drawing& d, QPointF a, QPointF b, double away, const QString& figure,
                   double letter, std::vector<QRectF>* taken) {
    QPainter& p = d.painter;
    const QPointF step = b - a;
    const double length = std::hypot(step.x(), step.y());
    if (length < 1e-6)
        return false;
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
    QRectF place(centre.x() - spanX / 2, centre.y() - spanY / 2, spanX, spanY);
    if (taken != nullptr) {
        for (int tries = 0;
             tries < 6 && std::any_of(taken->begin(), taken->end(),
                                      [&](const QRectF& t) { return t.intersects(place); });
             ++tries) {
            centre += out * letter * 1.2;
            place.moveCenter(centre);
        }
        if (std::any_of(taken->begin(), taken->end(),
                        [&](const QRectF& t) { return t.intersects(place); }))
            return false;
        taken->push_back(place);
    }
    p.setPen(d.ink(0.6));
    // Extension lines, ticks, and the line with a gap for the figure.
    p.drawLine(a + out * 3 * d.pen, from + out * 3 * d.pen);
    p.drawLine(b + out * 3 * d.pen, to + out * 3 * d.pen);
    const QPointF slant = (along - out) * 3.2 * d.pen;
    p.setPen(d.ink(1.2));
    p.drawLine(from - slant, from + slant);
    p.drawLine(to - slant, to + slant);
    p.setPen(d.ink(0.6));
    if (inside && place.center() == (from + to) / 2) {
        const QPointF half = along * (w / 2);
        p.drawLine(from, centre - half);
        p.drawLine(centre + half, to);
    } else {
        p.drawLine(from, to);
    }
    p.save();
    p.translate(centre);
    double angle = std::atan2(along.y(), along.x()) * 180 / 3.141592653589793;
    // Read from below or from the right, never upside down.
    if (angle > 89.9 || angle < -90.1)
        angle += 180;
    p.rotate(angle);
    p.setFont(font);
    p.setPen(d.look.ink);
    p.drawText(QRectF(-w / 2, -letter, w, 2 * letter), Qt::AlignCenter, figure);
    p.restore();
    return true;
}

} // namespace mezzet::sheets
