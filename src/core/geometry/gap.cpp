#include "geometry/gap.h"

#include <algorithm>
#include <cassert>
#include <numbers>

namespace mezzet {

namespace {

/// A part without the disc swept round a polygon: the disc comes off the distance afterwards, so
/// that circles and rounded corners cost nothing and lose nothing.
Vec2 coreSupport(const Convex& c, Vec2 d) {
    if (c.form != Convex::Form::polygon)
        return support(c, d);
    int best = 0;
    for (int i = 1; i < c.count; ++i)
        if (dot(c.points[static_cast<std::size_t>(i)], d) >
            dot(c.points[static_cast<std::size_t>(best)], d))
            best = i;
    return c.points[static_cast<std::size_t>(best)];
}

double sweptRadius(const Convex& c) {
    return c.form == Convex::Form::polygon ? c.radius : 0;
}

struct Vertex {
    Vec2 a; ///< on the first
    Vec2 b; ///< on the second
    Vec2 w; ///< b - a
    double share = 1;
};

/// The part of the simplex nearest to the origin, with its barycentric shares.
struct Simplex {
    std::array<Vertex, 3> v;
    int count = 0;

    void solveTwo() {
        const Vec2 a = v[0].w;
        const Vec2 b = v[1].w;
        const Vec2 e = b - a;
        const double len2 = dot(e, e);
        const double t = len2 > 0 ? -dot(a, e) / len2 : 0;
        if (t <= 0) {
            count = 1;
            v[0].share = 1;
        } else if (t >= 1) {
            v[0] = v[1];
            v[0].share = 1;
            count = 1;
        } else {
            v[0].share = 1 - t;
            v[1].share = t;
        }
    }

    /// True when the origin is inside the triangle.
    bool solveThree() {
        const double area = cross(v[1].w - v[0].w, v[2].w - v[0].w);
        const double u = cross(v[1].w, v[2].w) / (area == 0 ? 1 : area);
        const double s = cross(v[2].w, v[0].w) / (area == 0 ? 1 : area);
        const double t = 1 - u - s;
        if (area != 0 && u > 0 && s > 0 && t > 0)
            return true;
        // Nearest on one of the edges.
        double best = 1e300;
        Simplex answer;
        for (int i = 0; i < 3; ++i) {
            Simplex edge;
            edge.count = 2;
            edge.v[0] = v[static_cast<std::size_t>(i)];
            edge.v[1] = v[static_cast<std::size_t>((i + 1) % 3)];
            edge.solveTwo();
            const Vec2 p = edge.nearest();
            if (dot(p, p) < best) {
                best = dot(p, p);
                answer = edge;
            }
        }
        *this = answer;
        return false;
    }

    [[nodiscard]] Vec2 nearest() const {
        Vec2 p;
        for (int i = 0; i < count; ++i)
            p = p + v[static_cast<std::size_t>(i)].w * v[static_cast<std::size_t>(i)].share;
        return p;
    }
};

struct CoreDistance {
    bool overlapping = false;
    bool touching = false; ///< they meet in a point that is known: a and b
    Vec2 a;
    Vec2 b;
};

CoreDistance coreDistance(const Convex& a, const Convex& b) {
    const auto vertex = [&](Vec2 d) {
        Vertex v;
        v.a = coreSupport(a, -d);
        v.b = coreSupport(b, d);
        v.w = v.b - v.a;
        return v;
    };
    // w runs over second minus first; we look for its point nearest to the origin.
    Simplex s;
    s.v[0] = vertex(a.points[0] - b.points[0]);
    s.count = 1;
    Vec2 p = s.nearest();
    for (int step = 0; step < 200; ++step) {
        const double pp = dot(p, p);
        if (pp < 1e-18) {
            CoreDistance met{true, true, {}, {}};
            for (int i = 0; i < s.count; ++i) {
                const Vertex& v = s.v[static_cast<std::size_t>(i)];
                met.a = met.a + v.a * v.share;
                met.b = met.b + v.b * v.share;
            }
            return met;
        }
        const Vertex next = vertex(-p);
        // No point of the difference lies nearer than along -p by more than rounding.
        if (pp - dot(next.w, p) <= 1e-9 * std::sqrt(pp))
            break;
        s.v[static_cast<std::size_t>(s.count++)] = next;
        if (s.count == 2)
            s.solveTwo();
        else if (s.solveThree())
            return {true, false, {}, {}};
        const Vec2 q = s.nearest();
        if (dot(q, q) >= pp)
            break;
        p = q;
    }
    CoreDistance out;
    for (int i = 0; i < s.count; ++i) {
        out.a = out.a + s.v[static_cast<std::size_t>(i)].a * s.v[static_cast<std::size_t>(i)].share;
        out.b = out.b + s.v[static_cast<std::size_t>(i)].b * s.v[static_cast<std::size_t>(i)].share;
    }
    return out;
}

/// How far the first would have to go along -d for the two to part.
double depthAlong(const Convex& a, const Convex& b, Vec2 d) {
    return dot(support(a, d), d) - dot(support(b, -d), d);
}

/// The least of depthAlong over all directions. For polygons it lies square to an edge; for curves
/// a sweep of directions is refined by golden section.
Gap overlapOf(const Convex& a, const Convex& b) {
    double best = 1e300;
    Vec2 way{1, 0};
    const auto attempt = [&](Vec2 d) {
        const double depth = depthAlong(a, b, d);
        if (depth < best) {
            best = depth;
            way = d;
        }
    };
    bool curved = false;
    const auto edges = [&](const Convex& c, double sign) {
        if (c.form == Convex::Form::ellipse)
            curved = true;
        if (c.form == Convex::Form::sector) {
            attempt(quarter(c.axis) * (-sign));
            attempt(quarter(turned(c.axis, c.sweep)) * sign);
            curved = true;
        }
        if (c.form != Convex::Form::polygon)
            return;
        if (c.count == 1)
            curved = true;
        for (int i = 0; i < c.count && c.count > 1; ++i) {
            const Vec2 e = c.points[static_cast<std::size_t>((i + 1) % c.count)] -
                           c.points[static_cast<std::size_t>(i)];
            if (norm(e) > 1e-9) {
                attempt(-quarter(unit(e)) * sign);
                if (c.count == 2)
                    attempt(quarter(unit(e)) * sign);
            }
        }
    };
    edges(a, 1);
    edges(b, -1);
    if (curved) {
        constexpr int directions = 64;
        const double step = 2 * std::numbers::pi / directions;
        const auto at = [](double t) { return Vec2{std::cos(t), std::sin(t)}; };
        double coarse = 0;
        double least = 1e300;
        for (int i = 0; i < directions; ++i) {
            const double depth = depthAlong(a, b, at(i * step));
            if (depth < least) {
                least = depth;
                coarse = i * step;
            }
        }
        double low = coarse - step;
        double high = coarse + step;
        constexpr double golden = 0.6180339887498949;
        double x1 = high - golden * (high - low);
        double x2 = low + golden * (high - low);
        double f1 = depthAlong(a, b, at(x1));
        double f2 = depthAlong(a, b, at(x2));
        for (int i = 0; i < 44; ++i) {
            if (f1 < f2) {
                high = x2;
                x2 = x1;
                f2 = f1;
                x1 = high - golden * (high - low);
                f1 = depthAlong(a, b, at(x1));
            } else {
                low = x1;
                x1 = x2;
                f1 = f2;
                x2 = low + golden * (high - low);
                f2 = depthAlong(a, b, at(x2));
            }
        }
        attempt(at((low + high) / 2));
    }
    Gap g;
    g.depth = Length::millimetres(std::max(best, 0.0));
    g.direction = way;
    g.onFirst = support(a, way);
    g.onSecond = g.onFirst - way * std::max(best, 0.0);
    return g;
}

} // namespace

Gap gapBetween(const Convex& a, const Convex& b) {
    const auto core = coreDistance(a, b);
    if (core.overlapping) {
        Gap g = overlapOf(a, b);
        // Things that only touch are seen where they do, not at the end of a face that lies in
        // line.
        if (core.touching && g.depth <= quiet)
            g.onFirst = g.onSecond = core.a;
        return g;
    }
    const double between = norm(core.b - core.a);
    const Vec2 way = unit(core.b - core.a);
    const double clear = between - sweptRadius(a) - sweptRadius(b);
    Gap g;
    g.direction = way;
    g.onFirst = core.a + way * sweptRadius(a);
    g.onSecond = core.b - way * sweptRadius(b);
    if (clear >= 0)
        g.apart = Length::millimetres(clear);
    else
        g.depth = Length::millimetres(-clear);
    return g;
}

Gap gapBetween(const Shape& a, const Shape& b) {
    assert(a.count > 0 && b.count > 0);
    Gap best;
    bool first = true;
    for (const Convex& p : a.all()) {
        for (const Convex& q : b.all()) {
            const Gap g = gapBetween(p, q);
            if (first || g.clear() < best.clear())
                best = g;
            first = false;
        }
    }
    return best;
}

Shape stretch(Segment s) {
    const std::array<Vec2, 2> ends{s.from, s.to};
    return convexPolygon(ends);
}

Convex linePart(Segment s) {
    return stretch(s).parts[0];
}

Convex pointPart(Vec2 p) {
    return linePart({p, p});
}

} // namespace mezzet
