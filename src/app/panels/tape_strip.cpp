#include "app/look/style.h"
#include "app/look/tr.h"
#include "app/panels/reading_card.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <cmath>

namespace mezzet::app {

namespace {

/// What stretch of tape to show: the band with as much again on either side, and the value.
TapeStrip::Span spanOf(const Reading& r) {
    const double v = r.value.value;
    const double unit = r.value.quantity == Quantity::length  ? 25.4
                        : r.value.quantity == Quantity::ratio ? 0.05
                                                              : 1;
    TapeStrip::Span s{};
    if (r.band.low && r.band.high) {
        const double w = std::max(*r.band.high - *r.band.low, 2 * unit);
        s = {*r.band.low - w * 1.4, *r.band.high + w * 1.4};
    } else if (r.band.low) {
        const double w = std::max(std::abs(*r.band.low) * 0.75, 8 * unit);
        s = {*r.band.low - w, *r.band.low + w};
    } else if (r.band.high) {
        const double w = std::max(std::abs(*r.band.high) * 0.75, 4 * unit);
        s = {*r.band.high - w * 0.35, *r.band.high + w};
    } else {
        s = {v - 6 * unit, v + 6 * unit};
    }
    const double margin = (s.high - s.low) * 0.06;
    s.low = std::min(s.low, v - margin);
    s.high = std::max(s.high, v + margin);
    if (r.value.quantity != Quantity::length || (r.band.low.value_or(0) >= 0 && v >= 0))
        s.low = std::max(s.low, r.band.high && *r.band.high <= 0 ? s.low : 0.0);
    return s;
}

/// The step between figures: the least of the usual ones that leaves room for them.
double figureStep(double span, bool metric, Quantity q, double width) {
    static const double inch[] = {0.25, 0.5, 1, 2, 3, 6, 12, 24, 48, 120, 240};
    static const double mm[] = {5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000};
    static const double share[] = {0.05, 0.1, 0.25, 0.5, 1, 2, 5};
    const double least = span * 34 / width;
    if (q == Quantity::length && metric) {
        for (const double s : mm)
            if (s >= least)
                return s;
        return 10000;
    }
    if (q == Quantity::length) {
        for (const double s : inch)
            if (s * 25.4 >= least)
                return s * 25.4;
        return 12700;
    }
    for (const double s : share)
        if (s >= least)
            return s;
    return 10;
}

} // namespace

TapeStrip::TapeStrip(QWidget* parent) : QWidget(parent) {
    setFixedHeight(42);
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void TapeStrip::show(const Reading& r, Notation n) {
    reading_ = r;
    notation_ = n;
    update();
}

TapeStrip::Span TapeStrip::span() const {
    return kept_ ? *kept_ : spanOf(reading_);
}

double TapeStrip::pixelOf(double value, const Span& s) const {
    return 7 + (value - s.low) * (width() - 14) / (s.high - s.low);
}

TapeStrip::End TapeStrip::endAt(double x) const {
    constexpr double reach = 5; // pixels
    const Span s = span();
    const auto near = [&](const std::optional<double>& end) {
        return end && std::abs(pixelOf(*end, s) - x) <= reach;
    };
    return near(reading_.band.low) ? End::low : near(reading_.band.high) ? End::high : End::none;
}

void TapeStrip::mousePressEvent(QMouseEvent* e) {
    held_ = e->button() == Qt::LeftButton ? endAt(e->position().x()) : End::none;
    if (held_ != End::none)
        kept_ = span();
}

void TapeStrip::mouseMoveEvent(QMouseEvent* e) {
    if (held_ == End::none) {
        const bool there = endAt(e->position().x()) != End::none;
        setCursor(there ? Qt::SplitHCursor : Qt::ArrowCursor);
        setToolTip(there ? tr("Drag this end of the band: it becomes the job's own")
                         : tr("White is the band; the pointer is where it stands"));
        return;
    }
    const Span s = *kept_;
    const double at = s.low + (e->position().x() - 7) * (s.high - s.low) / (width() - 14);
    // In steps one says: a quarter inch, half a centimetre, a hundredth.
    const double step = reading_.value.quantity == Quantity::length
                            ? (isMetric(notation_.units) ? 5 : 25.4 / 4)
                        : reading_.value.quantity == Quantity::ratio ? 0.01
                                                                     : 1;
    const double value = std::round(std::clamp(at, s.low, s.high) / step) * step;
    Band& b = reading_.band;
    if (held_ == End::low)
        b.low = b.high ? std::min(value, *b.high) : value;
    else
        b.high = b.low ? std::max(value, *b.low) : value;
    b.bestLow.reset();
    b.bestHigh.reset();
    update();
}

void TapeStrip::mouseReleaseEvent(QMouseEvent*) {
    if (held_ == End::none)
        return;
    held_ = End::none;
    kept_.reset();
    emit bandWanted(reading_.band);
}

void TapeStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF tape(1, 1, width() - 2, 31);
    const Span span = this->span();
    const auto x = [&](double v) { return pixelOf(v, span); };
    p.save();
    QPainterPath clip;
    clip.addRoundedRect(tape, 4, 4);
    p.setClipPath(clip);
    p.fillRect(tape, look().tape);
    const double from = reading_.band.low ? x(*reading_.band.low) : tape.left();
    const double to = reading_.band.high ? x(*reading_.band.high) : tape.right();
    const bool hasBand = reading_.band.low || reading_.band.high;
    if (hasBand)
        p.fillRect(QRectF(from, tape.top(), std::max(to - from, 2.0), tape.height()),
                   look().tapeBand);
    if (reading_.band.bestLow && reading_.band.bestHigh) {
        p.fillRect(QRectF(x(*reading_.band.bestLow), tape.bottom() - 4,
                          x(*reading_.band.bestHigh) - x(*reading_.band.bestLow), 4),
                   look().right);
    }
    const bool metric = isMetric(notation_.units);
    const double step =
        figureStep(span.high - span.low, metric, reading_.value.quantity, tape.width());
    const QColor ink(0x25, 0x30, 0x2d);
    p.setPen(QPen(ink, 1));
    const double minor = step / (metric || reading_.value.quantity != Quantity::length ? 5
                                 : step >= 25.4 * 3 ? (step >= 25.4 * 12 ? 4 : 3)
                                                    : 4);
    for (double v = std::ceil(span.low / minor) * minor; v <= span.high; v += minor)
        p.drawLine(QPointF(x(v), tape.bottom()), QPointF(x(v), tape.bottom() - 5));
    p.setFont(sheets::lettering(12));
    for (double v = std::ceil(span.low / step) * step; v <= span.high + 1e-9; v += step) {
        p.drawLine(QPointF(x(v), tape.bottom()), QPointF(x(v), tape.bottom() - 10));
        const bool length = reading_.value.quantity == Quantity::length;
        const double shown = reading_.value.quantity == Quantity::ratio ? v * 100
                             : length && !metric                        ? v / 25.4
                                                                        : v;
        // In the job's own unit, as the field under it has it.
        const auto text = length && metric
                              ? QString::fromStdString(writeBare(Length::millimetres(v), notation_))
                              : QString::number(std::abs(shown) < 1e-9 ? 0.0 : shown, 'g', 5);
        const double w = p.fontMetrics().horizontalAdvance(text);
        const double at = std::clamp(x(v) - w / 2, tape.left() + 3, tape.right() - w - 3);
        if (std::abs(at + w / 2 - x(v)) < 10)
            p.drawText(QPointF(at, tape.top() + 15), text);
    }
    p.restore();
    p.setPen(QPen(look().ink, 1.2));
    p.setBrush(Qt::NoBrush);
    p.drawRoundedRect(tape, 4, 4);
    const QColor colour = look().night ? QColor(reading_.verdict == Verdict::right   ? 0x23634a
                                                : reading_.verdict == Verdict::loose ? 0x35528f
                                                                                     : 0xb23f2b)
                                       : look().of(reading_.verdict);
    const double at = x(reading_.value.value);
    p.setPen(QPen(colour, 2.2));
    p.drawLine(QPointF(at, tape.top() + 1), QPointF(at, tape.bottom() + 1));
    p.setPen(Qt::NoPen);
    p.setBrush(look().of(reading_.verdict));
    p.drawPolygon(
        QPolygonF{{at, tape.bottom()}, {at - 6, tape.bottom() + 9}, {at + 6, tape.bottom() + 9}});
}

} // namespace mezzet::app
