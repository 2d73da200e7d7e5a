#include "sheets/drawing.h"
#include "things/stock.h"

#include "geometry/polygon.h"
#include "measure/texts.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"

#include <QFontMetricsF>
#include <QPainterPath>

namespace mezzet::sheets {

namespace {

/// Draws in the piece's own frame: x to its right, y to its front, mm.
class FromAbove {
public:
    FromAbove(const Drawing& d, const Piece& p, const Pose& pose)
        : d_(d), p_(p), pose_(pose), w_(p.size.width.mm() / 2), h_(p.size.depth.mm() / 2) {}

    void details() {
        const auto& how = p_.kind->draw;
        thin();
        if (how.starts_with("cushions") || how == "wings")
            upholstery(how == "wings" ? 1 : how.back() - '0', how == "wings");
        else if (how == "chair")
            chair();
        else if (how == "top")
            top();
        else if (how == "tuft")
            tuft();
        else if (how.starts_with("pillows"))
            bed(how.back() - '0');
        else if (how == "rug")
            rug();
        else if (how == "lamp")
            lamp();
        else if (how == "leaves")
            leaves();
        else if (how == "shelves" || how == "doors" || how == "drawers")
            storage(how);
        else if (how == "zigzag")
            zigzag();
        else if (how == "keys")
            keys();
        else if (how == "post")
            round(0.3);
        else if (how == "panel")
            line(-w_, -h_ * 0.2, w_, -h_ * 0.2);
        else if (how == "stove")
            stove();
        else if (how == "bunk")
            bunk();
        else if (how == "slats")
            slats();
    }

private:
    void thin(double width = 0.7) { d_.painter.setPen(d_.ink(width, mixed())); }
    QColor mixed() const {
        QColor c = d_.look.ink;
        c.setAlphaF(0.62F);
        return c;
    }
    QPointF at(double x, double y) const { return d_.at(pose_.toRoom({x, y})); }
    void line(double x0, double y0, double x1, double y1) {
        d_.painter.drawLine(at(x0, y0), at(x1, y1));
    }
    void box(double l, double t, double r, double b, double radius = 0) {
        d_.painter.setBrush(Qt::NoBrush);
        const auto shape = rectangle(Length::millimetres(r - l), Length::millimetres(b - t),
                                     Length::millimetres(radius));
        d_.painter.drawPolygon(d_.polygon(
            outline(placed(shape, {pose_.toRoom({(l + r) / 2, (t + b) / 2}), pose_.turn}),
                    Length::millimetres(1))));
    }
    void round(double share) {
        d_.painter.setBrush(Qt::NoBrush);
        d_.painter.drawPolygon(
            d_.polygon(outline(placed(oval(p_.size.width * share, p_.size.depth * share), pose_),
                               Length::millimetres(1))));
    }

    void upholstery(int cushions, bool wings) {
        const bool ell = p_.footprint.form == FootprintForm::ell;
        const double back = std::min(0.24 * (ell ? p_.footprint.bodyDepth.mm() : 2 * h_), 230.0);
        const bool arms = p_.heights.arm.has_value();
        const double arm = arms ? std::min(0.14 * 2 * w_, 190.0) : 0;
        if (ell) {
            const bool right = p_.footprint.armOnRight;
            const double body = -h_ + p_.footprint.bodyDepth.mm();
            const double chaise = p_.footprint.armWidth.mm();
            const double inner = right ? w_ - chaise : -w_ + chaise;
            line(-w_, -h_ + back, w_, -h_ + back);
            if (right) {
                line(-w_ + arm, -h_ + back, -w_ + arm, body);
                line(inner, -h_ + back, inner, body);
                line((-w_ + arm + inner) / 2, -h_ + back, (-w_ + arm + inner) / 2, body);
                line(w_ - arm * 0.8, -h_ + back, w_ - arm * 0.8, h_);
            } else {
                line(w_ - arm, -h_ + back, w_ - arm, body);
                line(inner, -h_ + back, inner, body);
                line((w_ - arm + inner) / 2, -h_ + back, (w_ - arm + inner) / 2, body);
                line(-w_ + arm * 0.8, -h_ + back, -w_ + arm * 0.8, h_);
            }
            return;
        }
        line(-w_ + arm, -h_ + back, w_ - arm, -h_ + back);
        if (arms) {
            const double armFront = h_ * 0.93;
            line(-w_ + arm, -h_ + back, -w_ + arm, armFront);
            line(w_ - arm, -h_ + back, w_ - arm, armFront);
            line(-w_, armFront, -w_ + arm, armFront);
            line(w_ - arm, armFront, w_, armFront);
        }
        for (int i = 1; i < cushions; ++i) {
            const double x = -w_ + arm + (2 * w_ - 2 * arm) * i / cushions;
            line(x, -h_ + back, x, h_);
        }
        if (wings) {
            line(-w_ + arm, -h_ + back, -w_ + arm * 0.2, -h_ + back * 2.1);
            line(w_ - arm, -h_ + back, w_ - arm * 0.2, -h_ + back * 2.1);
        }
    }
    void chair() {
        const double back = std::max(0.14 * 2 * h_, 40.0);
        line(-w_ * 0.86, -h_ + back, w_ * 0.86, -h_ + back);
        if (p_.heights.arm) {
            line(-w_ * 0.8, -h_ + back, -w_ * 0.8, h_ * 0.6);
            line(w_ * 0.8, -h_ + back, w_ * 0.8, h_ * 0.6);
        }
    }
    void top() {
        const double inset = std::min({45.0, w_ * 0.16, h_ * 0.16});
        if (p_.footprint.form == FootprintForm::oval) {
            d_.painter.setBrush(Qt::NoBrush);
            d_.painter.drawPolygon(
                d_.polygon(outline(placed(oval(p_.size.width - Length::millimetres(2 * inset),
                                               p_.size.depth - Length::millimetres(2 * inset)),
                                          pose_),
                                   Length::millimetres(1))));
        } else if (p_.footprint.form == FootprintForm::rectangle) {
            box(-w_ + inset, -h_ + inset, w_ - inset, h_ - inset, p_.footprint.corner.mm());
        }
    }
    void tuft() {
        if (p_.footprint.form == FootprintForm::oval) {
            round(0.12);
            for (int i = 0; i < 8; ++i) {
                const double a = 0.7853981633974483 * i;
                line(w_ * 0.12 * std::cos(a), h_ * 0.12 * std::sin(a), w_ * 0.92 * std::cos(a),
                     h_ * 0.92 * std::sin(a));
            }
            return;
        }
        box(-w_ * 0.88, -h_ * 0.84, w_ * 0.88, h_ * 0.84);
        line(-w_ * 0.88, 0, w_ * 0.88, 0);
        line(0, -h_ * 0.84, 0, h_ * 0.84);
    }
    void bed(int pillows) {
        const double head = std::min(0.06 * 2 * h_, 90.0);
        line(-w_, -h_ + head, w_, -h_ + head);
        const double each = 2 * w_ / pillows;
        for (int i = 0; i < pillows; ++i)
            box(-w_ + each * i + each * 0.1, -h_ + head * 1.5, -w_ + each * (i + 1) - each * 0.1,
                -h_ + head * 1.5 + 0.19 * 2 * h_, 60);
        line(-w_, -h_ * 0.42, w_, -h_ * 0.42);
        line(-w_, -h_ * 0.3, w_, -h_ * 0.3);
    }
    void rug() {
        const double inset = std::min(70.0, std::min(w_, h_) * 0.2);
        thin(0.8);
        if (p_.footprint.form == FootprintForm::oval) {
            round(1 - inset / w_);
            return;
        }
        box(-w_ + inset, -h_ + inset, w_ - inset, h_ - inset);
        box(-w_ + inset * 1.35, -h_ + inset * 1.35, w_ - inset * 1.35, h_ - inset * 1.35);
    }
    void lamp() {
        round(0.62);
        d_.painter.setBrush(d_.look.ink);
        d_.painter.drawEllipse(at(0, 0), 1.8 * d_.pen, 1.8 * d_.pen);
    }
    void leaves() {
        for (int i = 0; i < 9; ++i) {
            const double a = 0.6981317007977318 * i;
            const double r = i % 2 == 0 ? 0.94 : 0.7;
            QPainterPath leaf;
            leaf.moveTo(at(0, 0));
            leaf.quadTo(at(w_ * r * 0.6 * std::cos(a + 0.32), h_ * r * 0.6 * std::sin(a + 0.32)),
                        at(w_ * r * std::cos(a), h_ * r * std::sin(a)));
            leaf.quadTo(at(w_ * r * 0.6 * std::cos(a - 0.32), h_ * r * 0.6 * std::sin(a - 0.32)),
                        at(0, 0));
            d_.painter.setBrush(Qt::NoBrush);
            d_.painter.drawPath(leaf);
        }
    }
    void storage(const std::string& how) {
        if (how == "shelves") {
            line(-w_, h_ * 0.72, w_, h_ * 0.72);
            const int bays = std::max(1, static_cast<int>(std::lround(2 * w_ / 450)));
            for (int i = 1; i < bays; ++i)
                line(-w_ + 2 * w_ * i / bays, -h_, -w_ + 2 * w_ * i / bays, h_ * 0.72);
            return;
        }
        line(-w_, h_ * 0.82, w_, h_ * 0.82);
        const int parts = std::max(2, static_cast<int>(std::lround(2 * w_ / 500)));
        for (int i = 1; i < parts; ++i)
            line(-w_ + 2 * w_ * i / parts, h_ * 0.82, -w_ + 2 * w_ * i / parts, h_);
    }
    /// A hot plate and its flue.
    void stove() {
        box(-w_ * 0.8, -h_ * 0.7, w_ * 0.8, h_ * 0.7);
        d_.painter.setBrush(Qt::NoBrush);
        d_.painter.drawEllipse(at(0, -h_ * 0.35), std::min(w_, h_) * 0.3 * d_.scale,
                               std::min(w_, h_) * 0.3 * d_.scale);
        line(-w_ * 0.5, h_ * 0.85, w_ * 0.5, h_ * 0.85);
    }
    /// The upper bed, and the ladder at its right.
    void bunk() {
        bed(1);
        const double in = w_ * 0.78;
        line(in, -h_ * 0.05, in, h_ * 0.4);
        for (int i = 0; i < 4; ++i)
            line(in, h_ * (0.05 + 0.1 * i), w_, h_ * (0.05 + 0.1 * i));
    }
    void slats() {
        const double in = std::min({40.0, w_ * 0.1, h_ * 0.1});
        box(-w_ + in, -h_ + in, w_ - in, h_ - in);
        const int n = std::max(6, static_cast<int>(2 * w_ / 90));
        for (int i = 1; i < n; ++i)
            for (const double y : {-h_, h_ - in})
                line(-w_ + 2 * w_ * i / n, y, -w_ + 2 * w_ * i / n, y + in);
    }
    void zigzag() {
        constexpr int folds = 6;
        for (int i = 0; i < folds; ++i)
            line(-w_ + 2 * w_ * i / folds, i % 2 == 0 ? -h_ : h_, -w_ + 2 * w_ * (i + 1) / folds,
                 i % 2 == 0 ? h_ : -h_);
    }
    void keys() {
        line(-w_, h_ * 0.2, w_, h_ * 0.2);
        for (int i = 1; i < 14; ++i)
            line(-w_ + 2 * w_ * i / 14, h_ * 0.2, -w_ + 2 * w_ * i / 14, h_ * 0.85);
        line(-w_, h_ * 0.85, w_, h_ * 0.85);
    }

    const Drawing& d_;
    const Piece& p_;
    const Pose& pose_;
    double w_;
    double h_;
};

} // namespace

namespace {

/// A rug's edges as they are finished, inside its outline, and an arrow along its pile.
void drawEdges(const Drawing& d, const Piece& p, const Pose& pose) {
    if (!p.rug)
        return;
    int n = 0;
    for (const RugSide& s : sidesOf(p, pose)) {
        ++n;
        const RugEdge* own = nullptr;
        for (const RugEdge& e : p.rug->edges)
            if (e.edge == 0 || e.edge == n)
                own = &e;
        const bool tape = own != nullptr && own->finish.find("tape") != std::string::npos;
        const bool fringe = own != nullptr && own->finish == "fringe";
        if (own != nullptr && own->finish == "tucked")
            continue;
        const double wide =
            tape ? (own->width > Length{} ? own->width : Length::millimetres(76.2)).mm() * d.scale
                 : 2.2 * d.pen;
        QPen pen(d.look.soft, 2 * std::max(wide, 1.2 * d.pen), fringe ? Qt::DotLine : Qt::SolidLine,
                 Qt::FlatCap);
        QColor ink = d.look.soft;
        ink.setAlphaF(tape ? 0.55F : 0.4F);
        pen.setColor(ink);
        d.painter.setPen(pen);
        if (norm(s.to - s.from) > 0.01)
            d.painter.drawLine(d.at(s.from), d.at(s.to));
    }
    // The pile's way, at the middle of the longest edge, a hand inside.
    if (!isCut(p))
        return;
    const bool alongWidth = (p.size.width >= p.size.depth) != p.rug->pileAcross;
    const Vec2 way = alongWidth ? pose.right() : pose.front();
    const auto sides = sidesOf(p, pose);
    const auto longest =
        std::max_element(sides.begin(), sides.end(),
                         [](const RugSide& a, const RugSide& b) { return a.length < b.length; });
    const Vec2 inward = quarter(unit(longest->to - longest->from));
    const auto corners = trueOutline(p, pose);
    const double in = 22 * d.pen / d.scale;
    const Vec2 edge = (longest->from + longest->to) / 2;
    const Vec2 at =
        insideOutline(corners, edge + inward * 1.0) ? edge + inward * in : edge - inward * in;
    const double half = 14 * d.pen / d.scale;
    const double head = 5 * d.pen / d.scale;
    const Vec2 tip = at + way * half;
    d.painter.setPen(QPen(d.look.soft, 1.1 * d.pen));
    d.painter.drawLine(d.at(at - way * half), d.at(tip));
    d.painter.drawLine(d.at(tip), d.at(tip - way * head + quarter(way) * (head * 0.6)));
    d.painter.drawLine(d.at(tip), d.at(tip - way * head - quarter(way) * (head * 0.6)));
}

} // namespace

void drawPiece(const Drawing& d, const Piece& p, const Placed& where, bool quietly) {
    const Length fine = Length::millimetres(0.25 / d.scale * d.pen);
    const auto shape =
        d.polygon(p.kind->flat() ? trueOutline(p, where.pose, fine) : outline(where.shape, fine));
    QColor wash = d.look.wash(p.kind->family);
    if (const auto own = p.isThing() ? colourOf(p) : std::nullopt)
        wash = QColor(own->r, own->g, own->b);
    if (p.kind->flat())
        wash.setAlphaF(0.75F);
    d.painter.setPen(quietly ? QPen(d.look.soft, d.pen, Qt::DashLine)
                             : d.ink(p.kind->flat() ? 0.9 : 1.3));
    d.painter.setBrush(quietly ? QBrush(Qt::NoBrush) : QBrush(wash));
    d.painter.drawPolygon(shape);
    if (!quietly) {
        // Details end at the outline, however its corners are rounded.
        QPainterPath outlinePath;
        outlinePath.addPolygon(shape);
        outlinePath.closeSubpath();
        d.painter.save();
        d.painter.setClipPath(outlinePath, Qt::IntersectClip);
        if (!isCut(p))
            FromAbove(d, p, where.pose).details();
        if (p.kind->flat())
            drawEdges(d, p, where.pose);
        d.painter.restore();
    }
    if (p.locked && !quietly) {
        // A small padlock at its back left.
        const QPointF c = d.at(where.pose.toRoom({-p.size.width.mm() / 2, -p.size.depth.mm() / 2}) +
                               unit(where.pose.at - where.pose.toRoom({-p.size.width.mm() / 2,
                                                                       -p.size.depth.mm() / 2})) *
                                   (9 * d.pen / d.scale));
        d.painter.setPen(d.ink(1.2));
        d.painter.setBrush(Qt::NoBrush);
        d.painter.drawArc(QRectF(c.x() - 2.5 * d.pen, c.y() - 6 * d.pen, 5 * d.pen, 8 * d.pen), 0,
                          180 * 16);
        d.painter.setBrush(d.look.ink);
        d.painter.drawRect(QRectF(c.x() - 4 * d.pen, c.y() - 2 * d.pen, 8 * d.pen, 6 * d.pen));
    }
}

void drawSeams(const Drawing& d, const std::vector<Segment>& seams) {
    d.painter.setPen(QPen(d.look.soft, 1.1 * d.pen, Qt::DashDotLine));
    for (const Segment& s : seams)
        d.painter.drawLine(d.at(s.from), d.at(s.to));
}

void drawPieces(const Drawing& d, const FloorView& scene, bool quietly, PiecesShown shown,
                const std::function<bool(const Piece&)>& which) {
    // Rugs first, then what stands on the floor, then what stands on that.
    const auto layer = [](const Kind& k) { return k.flat() ? 0 : k.standsOn() ? 2 : 1; };
    const auto drawn = [&](const Piece& p) {
        return (shown == PiecesShown::all || p.kind->flat() == (shown == PiecesShown::flat)) &&
               (!which || which(p));
    };
    for (const int one : {0, 1, 2})
        for (std::size_t i = 0; i < scene.placed.size(); ++i)
            if (layer(*scene.piece(i).kind) == one && drawn(scene.piece(i)))
                drawPiece(d, scene.piece(i), scene.placed[i], quietly);
}

void drawSwag(const Drawing& d, const Piece& p, const Placed& where) {
    if (!p.light || !p.light->wire)
        return;
    const QPointF from = d.at(*p.light->wire);
    const QPointF hook = d.at(where.pose.at);
    const QPointF aside(-(hook - from).y() / 8, (hook - from).x() / 8);
    QPainterPath cord(from);
    cord.quadTo((from + hook) / 2 + aside, hook);
    d.painter.setBrush(Qt::NoBrush);
    d.painter.setPen(d.ink());
    d.painter.drawPath(cord);
    // The box its wire comes out of, and the hook.
    d.painter.setBrush(d.look.floor);
    d.painter.drawEllipse(from, 4 * d.pen, 4 * d.pen);
    d.painter.drawLine(from - QPointF(4 * d.pen, 0), from + QPointF(4 * d.pen, 0));
    d.painter.setBrush(d.look.ink);
    d.painter.drawEllipse(hook, 1.5 * d.pen, 1.5 * d.pen);
}

void drawCeiling(const Drawing& d, const CeilingView& scene, double height, bool quietly) {
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        const Placed& where = scene.placed[i];
        drawPiece(d, p, where, quietly);
        drawSwag(d, p, where);
        if (quietly)
            continue;
        if (d.labels == nullptr)
            continue;
        // Over it, or about it, its name and how high its underside is.
        const Box b = bounds(where.shape);
        const QRectF body(d.at(b.low), d.at(b.high));
        const auto name = QString::fromStdString(p.name);
        const auto under = QString::fromStdString(
            worded("underside {}", write(bottomOf(scene, p, where), d.notation)));
        const QFont font = sans(height);
        const QFont small = lettering(height * 0.86);
        const QSizeF size(std::max(QFontMetricsF(font).horizontalAdvance(name),
                                   QFontMetricsF(small).horizontalAdvance(under)) +
                              4 * d.pen,
                          height * 2.3);
        Label l;
        l.weight = 25;
        l.of = p.id;
        const double x = (body.width() + size.width()) / 2 + 3 * d.pen;
        const double y = (body.height() + size.height()) / 2;
        for (const QPointF step : {QPointF(0, -y), QPointF(0, y), QPointF(x, 0), QPointF(-x, 0),
                                   QPointF(0, 0), QPointF(x, -y), QPointF(-x, -y)}) {
            QRectF box(QPointF(), size);
            box.moveCenter(body.center() + step);
            l.places.push_back(box);
        }
        QColor halo = d.look.floor;
        halo.setAlphaF(0.8F);
        l.paint = [=, places = l.places, ink = d.look.ink](QPainter& to, std::size_t at) {
            const QRectF box = places[at];
            to.fillRect(box, halo);
            to.setPen(ink);
            to.setFont(font);
            to.drawText(QRectF(box.topLeft(), QSizeF(box.width(), height * 1.2)), Qt::AlignCenter,
                        name);
            to.setFont(small);
            to.drawText(QRectF(box.left(), box.top() + height * 1.2, box.width(), height * 1.1),
                        Qt::AlignCenter, under);
        };
        d.labels->add(std::move(l));
    }
}

} // namespace mezzet::sheets
