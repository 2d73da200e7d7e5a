#include "app/measure/trace_canvas.h"
#include "app/look/tr.h"

#include "app/look/style.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace mezzet::app {

TraceCanvas::TraceCanvas(QWidget* parent) : QWidget(parent) {
    setObjectName("traceCanvas");
    setMinimumSize(420, 320);
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The drawing being traced"));
}

void TraceCanvas::showPicture(const QImage& p) {
    picture_ = p;
    sheet_.reset();
    fit();
}

void TraceCanvas::showSheet(std::shared_ptr<const DrawnSheet> s, const LayerRoles& roles) {
    const bool same = s == sheet_;
    sheet_ = std::move(s);
    roles_ = roles;
    picture_ = {};
    sheetImage_ = {};
    same ? update() : fit();
}

void TraceCanvas::setHand(TraceHand h) {
    hand_ = h;
    setCursor(h == TraceHand::look ? Qt::OpenHandCursor : Qt::CrossCursor);
    update();
}

void TraceCanvas::setTracing(const Tracing& t, std::vector<Vec2> pending, bool closed) {
    tracing_ = t;
    pending_ = std::move(pending);
    closed_ = closed;
    update();
}

Vec2 TraceCanvas::low() const {
    return sheet_ ? sheet_->low : Vec2{0, 0};
}

Vec2 TraceCanvas::high() const {
    return sheet_ ? sheet_->high
                  : Vec2{double(std::max(picture_.width(), 1)),
                         double(std::max(picture_.height(), 1))};
}

void TraceCanvas::fit() {
    fitted_ = true;
    const Vec2 size = high() - low();
    scale_ =
        std::min((width() - 30) / std::max(size.x, 1e-6), (height() - 30) / std::max(size.y, 1e-6));
    const Vec2 m = (low() + high()) / 2;
    origin_ = QPointF(width() / 2.0 - m.x * scale_, height() / 2.0 - m.y * scale_);
    sheetImage_ = {};
    update();
}

void TraceCanvas::resizeEvent(QResizeEvent*) {
    if (fitted_)
        fit();
    sheetImage_ = {};
}

void TraceCanvas::wheelEvent(QWheelEvent* e) {
    const double k = std::pow(1.0015, e->angleDelta().y());
    const QPointF about = e->position();
    origin_ = about - (about - origin_) * k;
    scale_ *= k;
    fitted_ = false;
    sheetImage_ = {};
    update();
}

void TraceCanvas::mousePressEvent(QMouseEvent* e) {
    pressed_ = e->position();
    at_ = pressed_;
    panning_ = e->button() != Qt::LeftButton || hand_ == TraceHand::look;
    setFocus();
}

void TraceCanvas::mouseMoveEvent(QMouseEvent* e) {
    if (panning_ && e->buttons() != Qt::NoButton) {
        origin_ += e->position() - at_;
        fitted_ = false;
        sheetImage_ = {};
    }
    at_ = e->position();
    update();
}

void TraceCanvas::mouseReleaseEvent(QMouseEvent* e) {
    if (!panning_ && (e->position() - pressed_).manhattanLength() < 8)
        emit clicked(toPicture(pressed_));
    panning_ = false;
}

void TraceCanvas::paintSheet(QPainter& p) {
    if (sheetImage_.isNull()) {
        sheetImage_ = QImage(size() * devicePixelRatioF(), QImage::Format_ARGB32_Premultiplied);
        sheetImage_.setDevicePixelRatio(devicePixelRatioF());
        sheetImage_.fill(Qt::transparent);
        QPainter q(&sheetImage_);
        const auto colourOf = [&](int layer) {
            const auto in = [&](const std::vector<int>& v) {
                return std::find(v.begin(), v.end(), layer) != v.end();
            };
            return in(roles_.walls)     ? look().ink
                   : in(roles_.windows) ? look().chosen
                   : in(roles_.doors)   ? look().loose
                                        : look().panelEdge;
        };
        std::vector<QColor> colours;
        for (std::size_t i = 0; i < sheet_->layers.size(); ++i)
            colours.push_back(colourOf(static_cast<int>(i)));
        int last = -1;
        for (const DrawnLine& l : sheet_->lines) {
            if (l.layer != last)
                q.setPen(QPen(colours[static_cast<std::size_t>(l.layer)], 1.2));
            last = l.layer;
            q.drawLine(toScreen(l.from), toScreen(l.to));
        }
    }
    p.drawImage(0, 0, sheetImage_);
}

void TraceCanvas::paintTraced(QPainter& p) {
    const QColor mine = look().tight;
    const auto dot = [&](Vec2 v) {
        p.setPen(QPen(mine, 1.6));
        p.setBrush(look().field);
        p.drawEllipse(toScreen(v), 4.5, 4.5);
    };
    const auto line = [&](Vec2 a, Vec2 b, const QColor& c, double w,
                          Qt::PenStyle s = Qt::SolidLine) {
        p.setPen(QPen(c, w, s));
        p.drawLine(toScreen(a), toScreen(b));
    };
    for (const auto& k : tracing_.lengths)
        line(k.from, k.to, look().chosen, 2);
    const auto& c = tracing_.room.corners;
    for (std::size_t i = 0; i + 1 < c.size(); ++i)
        line(c[i], c[i + 1], mine, 2.6);
    if (closed_ && c.size() > 2)
        line(c.back(), c.front(), mine, 2.6);
    for (const auto& o : tracing_.room.openings)
        line(o.from, o.to, o.kind == OpeningKind::window ? look().chosen : look().loose, 6);
    for (const Vec2 v : c)
        dot(v);
    for (std::size_t i = 0; i < pending_.size(); ++i) {
        if (i > 0)
            line(pending_[i - 1], pending_[i], look().chosen, 1.4, Qt::DashLine);
        dot(pending_[i]);
    }
    for (const auto& k : tracing_.lengths) {
        p.setFont(sheets::lettering(14));
        const QPointF m = (toScreen(k.from) + toScreen(k.to)) / 2;
        const auto words = QString::fromStdString(write(k.length, notation_));
        QRectF chip(0, 0, p.fontMetrics().horizontalAdvance(words) + 12, 20);
        chip.moveCenter(m);
        p.setBrush(look().field);
        p.setPen(QPen(look().chosen, 1));
        p.drawRoundedRect(chip, 4, 4);
        p.drawText(chip, Qt::AlignCenter, words);
    }
    // What the next click would make.
    if (hand_ == TraceHand::walls && !c.empty() && !closed_ && underMouse()) {
        const auto next =
            snapClick(c, toPicture(at_), tracing_.snap ? squareWithin : 0, nearness());
        line(c.back(), next.at, mine, 1.6,
             next.square || next.closes ? Qt::SolidLine : Qt::DashLine);
        dot(next.at);
    }
    if (!pending_.empty() && underMouse())
        line(pending_.back(), toPicture(at_), look().chosen, 1.2, Qt::DashLine);
}

void TraceCanvas::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), look().board);
    p.setClipRect(rect().adjusted(1, 1, -1, -1));
    if (sheet_) {
        paintSheet(p);
    } else if (!picture_.isNull()) {
        p.setRenderHint(QPainter::SmoothPixmapTransform, scale_ < 1);
        p.drawImage(QRectF(toScreen({0, 0}), toScreen(high())), picture_);
    } else {
        p.setFont(sheets::sans(15));
        p.setPen(look().soft);
        p.drawText(
            rect(), Qt::AlignCenter,
            tr("Open a picture, a PDF page or a DXF drawing.\nIt is laid here to be traced."));
    }
    paintTraced(p);
    p.setClipping(false);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(hasFocus() ? look().chosen : look().panelEdge, hasFocus() ? 2 : 1));
    p.drawRect(rect().adjusted(0, 0, -1, -1));
}

} // namespace mezzet::app
