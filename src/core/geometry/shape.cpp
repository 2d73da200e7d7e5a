#include "geometry/shape.h"

#include "geometry/polygon.h"

#include <algorithm>
#include <cassert>
#include <numbers>

namespace mezzet {

namespace {

Convex box(double left, double top, double right, double bottom, double radius) {
    const double r = std::min({radius, (right - left) / 2, (bottom - top) / 2});
    Convex c;
    c.count = 4;
    c.points = {{{left + r, top + r},
                 {right - r, top + r},
                 {right - r, bottom - r},
                 {left + r, bottom - r}}};
    c.radius = r;
    return c;
}

void encircle(Shape& s) {
    const Box b = bounds(s);
    s.centre = b.centre();
    s.reach = norm(b.size()) / 2;
}

double arcStep(double radius, double tolerance) {
    if (radius <= tolerance)
        return std::numbers::pi / 2;
    return std::min(std::numbers::pi / 8, 2 * std::acos(1 - tolerance / radius));
}

/// Points round a centre from angle `from` by `sweep`, both ends in.
void appendArc(std::vector<Vec2>& out, Vec2 centre, double radius, double from, double sweep,
               double tolerance) {
    const int steps =
        std::max(1, static_cast<int>(std::ceil(std::abs(sweep) / arcStep(radius, tolerance))));
    for (int i = 0; i <= steps; ++i) {
        const double a = from + sweep * i / steps;
        out.push_back(centre + Vec2{std::cos(a), std::sin(a)} * radius);
    }
}

std::vector<Vec2> partOutline(const Convex& c, double tolerance) {
    std::vector<Vec2> out;
    switch (c.form) {
    case Convex::Form::ellipse: {
        const double big = std::max(c.halfWidth, c.halfDepth);
        const int steps =
            static_cast<int>(std::ceil(2 * std::numbers::pi / arcStep(big, tolerance)));
        for (int i = 0; i < steps; ++i) {
            const double a = 2 * std::numbers::pi * i / steps;
            out.push_back(c.points[0] + c.axis * (c.halfWidth * std::cos(a)) +
                          quarter(c.axis) * (c.halfDepth * std::sin(a)));
        }
        return out;
    }
    case Convex::Form::sector:
        out.push_back(c.points[0]);
        appendArc(out, c.points[0], c.radius, directionOf(c.axis).inRadians(), c.sweep.inRadians(),
                  tolerance);
        return out;
    case Convex::Form::polygon:
        break;
    }
    if (c.radius <= 0 || c.count == 0) {
        out.assign(c.points.begin(), c.points.begin() + c.count);
        return out;
    }
    // A corner rounded to the full leaves two of its neighbours in one place.
    std::array<Vec2, Convex::most> core;
    int count = 0;
    for (int i = 0; i < c.count; ++i) {
        const Vec2 p = c.points[static_cast<std::size_t>(i)];
        const bool again =
            count > 0 && (norm(p - core[static_cast<std::size_t>(count - 1)]) < 1e-9 ||
                          norm(p - core[0]) < 1e-9);
        if (!again)
            core[static_cast<std::size_t>(count++)] = p;
    }
    if (count == 1) {
        appendArc(out, core[0], c.radius, 0, 2 * std::numbers::pi, tolerance);
        out.pop_back();
        return out;
    }
    for (int i = 0; i < count; ++i) {
        const auto at = [&](int k) { return core[static_cast<std::size_t>((k + count) % count)]; };
        const Vec2 p = at(i);
        // Outward of a clockwise (as drawn) edge is a quarter turn back.
        const Vec2 n0 = -quarter(unit(p - at(i - 1)));
        const Vec2 n1 = -quarter(unit(at(i + 1) - p));
        double sweep = std::atan2(cross(n0, n1), dot(n0, n1));
        if (sweep < -1e-9)
            sweep += 2 * std::numbers::pi;
        appendArc(out, p, c.radius, directionOf(n0).inRadians(), sweep, tolerance);
    }
    return out;
}

/// The six corners of an L in turn, all but the inner one rounded.
std::vector<Vec2> ellOutline(const Shape& s, double tolerance) {
    const Convex& body = s.parts[0];
    const Convex& arm = s.parts[1];
    const Vec2 across = unit(body.points[1] - body.points[0]);
    const Vec2 down = quarter(across);
    const auto at = [&](double x, double y) { return across * x + down * y; };
    const double left = dot(body.points[0], across) - body.radius;
    const double right = dot(body.points[1], across) + body.radius;
    const double top = dot(body.points[0], down) - body.radius;
    const double middle = dot(body.points[2], down) + body.radius;
    const double bottom = dot(arm.points[2], down) + arm.radius;
    const double armLeft = dot(arm.points[0], across) - arm.radius;
    const double armRight = dot(arm.points[1], across) + arm.radius;
    const bool onRight = std::abs(right - armRight) < std::abs(left - armLeft);
    const double inner = onRight ? armLeft : armRight;
    const std::vector<Vec2> corners =
        onRight ? std::vector<Vec2>{at(left, top),     at(right, top),    at(right, bottom),
                                    at(inner, bottom), at(inner, middle), at(left, middle)}
                : std::vector<Vec2>{at(left, top),     at(right, top),    at(right, middle),
                                    at(inner, middle), at(inner, bottom), at(left, bottom)};
    const std::size_t notch = onRight ? 4 : 3;
    const double r = std::min(body.radius, arm.radius);
    std::vector<Vec2> out;
    for (std::size_t i = 0; i < corners.size(); ++i) {
        if (i == notch || r <= 0) {
            out.push_back(corners[i]);
            continue;
        }
        const Vec2 in = unit(corners[i] - corners[(i + 5) % 6]);
        const Vec2 away = unit(corners[(i + 1) % 6] - corners[i]);
        appendArc(out, corners[i] - in * r + away * r, r, directionOf(-quarter(in)).inRadians(),
                  std::numbers::pi / 2, tolerance);
    }
    return out;
}

bool contains(const Convex& c, Vec2 p) {
    switch (c.form) {
    case Convex::Form::ellipse: {
        const Vec2 d = p - c.points[0];
        const double u = dot(d, c.axis) / c.halfWidth;
        const double v = dot(d, quarter(c.axis)) / c.halfDepth;
        return u * u + v * v <= 1 + 1e-12;
    }
    case Convex::Form::sector: {
        const Vec2 d = p - c.points[0];
        if (norm(d) > c.radius + 1e-9)
            return false;
        const Vec2 last = turned(c.axis, c.sweep);
        return cross(c.axis, d) >= -1e-9 && cross(d, last) >= -1e-9;
    }
    case Convex::Form::polygon:
        break;
    }
    bool in = c.count > 2;
    double nearest = 1e300;
    for (int i = 0; i < c.count; ++i) {
        const Vec2 a = c.points[static_cast<std::size_t>(i)];
        const Vec2 b = c.points[static_cast<std::size_t>((i + 1) % c.count)];
        in = in && cross(b - a, p - a) >= -1e-9;
        nearest = std::min(nearest, norm(p - nearestOn({a, b}, p)));
    }
    return in || nearest <= c.radius + 1e-9;
}

} // namespace

void Box::include(Vec2 p) {
    low = {std::min(low.x, p.x), std::min(low.y, p.y)};
    high = {std::max(high.x, p.x), std::max(high.y, p.y)};
}

void Box::include(const Box& b) {
    if (!b.empty()) {
        include(b.low);
        include(b.high);
    }
}

Shape rectangle(Length width, Length depth, Length corner) {
    Shape s;
    s.count = 1;
    s.parts[0] = box(-width.mm() / 2, -depth.mm() / 2, width.mm() / 2, depth.mm() / 2, corner.mm());
    encircle(s);
    return s;
}

Shape oval(Length width, Length depth) {
    Shape s;
    s.count = 1;
    Convex& c = s.parts[0];
    if (abs(width - depth) <= quiet) {
        // A circle is a point swept by a disc, which every question answers in closed form.
        c.count = 1;
        c.points[0] = {0, 0};
        c.radius = width.mm() / 2;
    } else {
        c.form = Convex::Form::ellipse;
        c.points[0] = {0, 0};
        c.halfWidth = width.mm() / 2;
        c.halfDepth = depth.mm() / 2;
    }
    s.reach = std::max(width, depth).mm() / 2;
    return s;
}

Shape ell(Length width, Length depth, Length bodyDepth, Length armWidth, bool armOnRight,
          Length corner) {
    const double w = width.mm() / 2;
    const double d = depth.mm() / 2;
    const double arm = std::min(armWidth.mm(), width.mm());
    const double body = std::min(bodyDepth, depth).mm();
    // One radius for both parts, so that their shared corner is one.
    const double r = std::min({corner.mm(), arm / 2, body / 2, w, d});
    Shape s;
    s.count = 2;
    s.parts[0] = box(-w, -d, w, -d + body, r);
    s.parts[1] = armOnRight ? box(w - arm, -d, w, d, r) : box(-w, -d, -w + arm, d, r);
    encircle(s);
    return s;
}

Shape arch(Length width, Length height) {
    const double w = width.mm() / 2;
    const double h = height.mm() / 2;
    const double rise = std::min(w, h);
    Shape s;
    s.count = 2;
    s.parts[0] = box(-w, -h, w, h - rise, 0);
    s.parts[1] = oval(width, Length::millimetres(2 * rise)).parts[0];
    s.parts[1].points[0] = {0, h - rise};
    encircle(s);
    return s;
}

Shape octagon(Length width, Length height) {
    const double w = width.mm() / 2;
    const double h = height.mm() / 2;
    const double k = std::numbers::sqrt2 - 1; // of a regular one's side to its width
    const std::array<Vec2, 8> corners{{{-w * k, -h},
                                       {w * k, -h},
                                       {w, -h * k},
                                       {w, h * k},
                                       {w * k, h},
                                       {-w * k, h},
                                       {-w, h * k},
                                       {-w, -h * k}}};
    return convexPolygon(corners);
}

Shape sector(Vec2 hinge, Vec2 from, Angle sweep, Length radius) {
    Shape s;
    s.count = 1;
    Convex& c = s.parts[0];
    c.form = Convex::Form::sector;
    c.points[0] = hinge;
    c.radius = radius.mm();
    c.axis = sweep < Angle{} ? turned(unit(from), sweep) : unit(from);
    c.sweep = sweep < Angle{} ? -sweep : sweep;
    s.centre = hinge;
    s.reach = radius.mm();
    return s;
}

Shape convexPolygon(std::span<const Vec2> corners) {
    assert(!corners.empty() && corners.size() <= Convex::most);
    Shape s;
    s.count = 1;
    Convex& c = s.parts[0];
    for (const Vec2 p : corners)
        c.points[static_cast<std::size_t>(c.count++)] = p;
    encircle(s);
    return s;
}

Shape placed(const Shape& local, Pose pose) {
    Shape s = local;
    s.centre = pose.toRoom(local.centre);
    for (int i = 0; i < s.count; ++i) {
        Convex& c = s.parts[static_cast<std::size_t>(i)];
        const int points = std::max(c.count, 1);
        for (int k = 0; k < points; ++k)
            c.points[static_cast<std::size_t>(k)] =
                pose.toRoom(c.points[static_cast<std::size_t>(k)]);
        if (c.form != Convex::Form::polygon)
            c.axis = turned(c.axis, pose.turn);
    }
    return s;
}

Vec2 support(const Convex& c, Vec2 d) {
    switch (c.form) {
    case Convex::Form::ellipse: {
        const double u = dot(d, c.axis) * c.halfWidth;
        const double v = dot(d, quarter(c.axis)) * c.halfDepth;
        const double n = norm({u, v});
        if (n <= 0)
            return c.points[0] + c.axis * c.halfWidth;
        return c.points[0] + c.axis * (c.halfWidth * u / n) +
               quarter(c.axis) * (c.halfDepth * v / n);
    }
    case Convex::Form::sector: {
        const Vec2 first = c.axis;
        const Vec2 last = turned(c.axis, c.sweep);
        Vec2 best = c.points[0];
        if (cross(first, d) >= 0 && cross(d, last) >= 0 && dot(d, d) > 0)
            return c.points[0] + unit(d) * c.radius;
        for (const Vec2 e : {c.points[0] + first * c.radius, c.points[0] + last * c.radius})
            if (dot(e, d) > dot(best, d))
                best = e;
        return best;
    }
    case Convex::Form::polygon:
        break;
    }
    int best = 0;
    for (int i = 1; i < c.count; ++i)
        if (dot(c.points[static_cast<std::size_t>(i)], d) >
            dot(c.points[static_cast<std::size_t>(best)], d))
            best = i;
    const Vec2 p = c.points[static_cast<std::size_t>(best)];
    return c.radius > 0 ? p + unit(d) * c.radius : p;
}

Vec2 support(const Shape& s, Vec2 d) {
    Vec2 best = support(s.parts[0], d);
    for (int i = 1; i < s.count; ++i)
        if (const Vec2 p = support(s.parts[static_cast<std::size_t>(i)], d);
            dot(p, d) > dot(best, d))
            best = p;
    return best;
}

double extent(const Shape& s, Vec2 direction) {
    return dot(support(s, direction), direction);
}

Box bounds(const Shape& s) {
    Box b;
    for (const Vec2 d : {Vec2{1, 0}, Vec2{-1, 0}, Vec2{0, 1}, Vec2{0, -1}})
        b.include(support(s, d));
    return b;
}

bool contains(const Shape& s, Vec2 p) {
    return std::any_of(s.all().begin(), s.all().end(),
                       [&](const Convex& c) { return contains(c, p); });
}

std::vector<Vec2> outline(const Shape& s, Length tolerance) {
    if (s.count == 0)
        return {};
    auto body = partOutline(s.parts[0], tolerance.mm());
    if (s.count == 1)
        return body;
    // An arch is convex: the hull of its foot and its head.
    if (s.parts[1].form == Convex::Form::ellipse || s.parts[1].count == 1) {
        const auto head = partOutline(s.parts[1], tolerance.mm());
        body.insert(body.end(), head.begin(), head.end());
        return convexHull(std::move(body));
    }
    return ellOutline(s, tolerance.mm());
}

std::vector<Vec2> outline(const Convex& c, Length tolerance) {
    return partOutline(c, tolerance.mm());
}

double ellipsePerimeter(double a, double b) {
    return std::numbers::pi * (3 * (a + b) - std::sqrt((3 * a + b) * (a + 3 * b)));
}

Vec2 insideOf(const Convex& c) {
    if (c.form == Convex::Form::ellipse)
        return c.points[0];
    if (c.form == Convex::Form::sector)
        return c.points[0] + turned(c.axis, c.sweep * 0.5) * (c.radius / 2);
    Vec2 sum;
    for (int i = 0; i < c.count; ++i)
        sum = sum + c.points[static_cast<std::size_t>(i)];
    return sum / std::max(c.count, 1);
}

double reachOf(const Convex& c) {
    if (c.form == Convex::Form::ellipse)
        return std::max(c.halfWidth, c.halfDepth);
    // A sector lies within its radius of the middle of it.
    double reach = c.radius;
    if (c.form == Convex::Form::polygon) {
        const Vec2 middle = insideOf(c);
        for (int i = 0; i < c.count; ++i)
            reach =
                std::max(reach, c.radius + norm(c.points[static_cast<std::size_t>(i)] - middle));
    }
    return reach;
}

} // namespace mezzet
