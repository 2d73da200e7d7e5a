#include "sight/view.h"

#include "geometry/gap.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <optional>

namespace mezzet {

namespace {

constexpr double full = 2 * std::numbers::pi;

double positive(double a) {
    a = std::fmod(a, full);
    return a < 0 ? a + full : a;
}

/// Where a line from a place meets a stretch, as a distance along it; below 0 when it doesn't.
double meets(Vec2 place, Vec2 d, Vec2 a, Vec2 b) {
    const Vec2 e = b - a;
    const double det = cross(d, e);
    if (std::abs(det) < 1e-12)
        return -1;
    const Vec2 to = a - place;
    const double t = cross(to, e) / det;
    const double s = cross(to, d) / det;
    return t >= 0 && s >= 0 && s <= 1 ? t : -1;
}

/// Where a line from a place first meets a disc; below 0 when it doesn't.
double meetsDisc(Vec2 place, Vec2 d, Vec2 centre, double radius) {
    const Vec2 to = centre - place;
    const double mid = dot(to, d);
    const double off2 = dot(to, to) - mid * mid;
    const double in2 = radius * radius - off2;
    return in2 < 0 ? -1 : mid - std::sqrt(in2);
}

/// The directions a convex thing lies between, as turns from `middle`; exact.
std::pair<double, double> spread(Vec2 place, double middle, const Convex& c) {
    double low = 0;
    double high = 0;
    const auto include = [&](Vec2 p, double aside) {
        const Vec2 to = p - place;
        const double a = std::remainder(std::atan2(to.y, to.x) - middle, full);
        const double wide = aside > 0 ? std::asin(std::min(aside / norm(to), 1.0)) : 0;
        low = std::min(low, a - wide);
        high = std::max(high, a + wide);
    };
    switch (c.form) {
    case Convex::Form::polygon:
        for (int i = 0; i < c.count; ++i)
            include(c.points[static_cast<std::size_t>(i)], c.radius);
        break;
    case Convex::Form::ellipse: {
        // In the frame where it is a unit circle, tangents touch at an angle of acos(1/d).
        const Vec2 v = quarter(c.axis);
        const Vec2 to = place - c.points[0];
        const Vec2 p{dot(to, c.axis) / c.halfWidth, dot(to, v) / c.halfDepth};
        const double d = norm(p);
        if (d <= 1)
            break;
        const double turn = std::acos(1 / d);
        for (const double t : {turn, -turn}) {
            const Vec2 q = turned(p / d, Angle::radians(t));
            include(c.points[0] + c.axis * (q.x * c.halfWidth) + v * (q.y * c.halfDepth), 0);
        }
        break;
    }
    case Convex::Form::sector:
        for (const Vec2 p : outline(c))
            include(p, 0);
        break;
    }
    return {low, high};
}

} // namespace

double along(Vec2 place, Vec2 d, const Convex& c) {
    double best = -1;
    const auto offer = [&](double t) {
        if (t >= 0 && (best < 0 || t < best))
            best = t;
    };
    switch (c.form) {
    case Convex::Form::ellipse: {
        const Vec2 to = place - c.points[0];
        const Vec2 v = quarter(c.axis);
        const Vec2 p{dot(to, c.axis) / c.halfWidth, dot(to, v) / c.halfDepth};
        const Vec2 q{dot(d, c.axis) / c.halfWidth, dot(d, v) / c.halfDepth};
        const double qq = dot(q, q);
        const double pq = dot(p, q);
        const double det = pq * pq - qq * (dot(p, p) - 1);
        return det < 0 ? -1 : (-pq - std::sqrt(det)) / qq;
    }
    case Convex::Form::polygon:
        for (int i = 0; i < c.count; ++i) {
            const Vec2 a = c.points[static_cast<std::size_t>(i)];
            const Vec2 b = c.points[static_cast<std::size_t>((i + 1) % c.count)];
            // The disc swept round it: its sides move out, its corners are rounded.
            const Vec2 out =
                c.radius > 0 && norm(b - a) > 0 ? -quarter(unit(b - a)) * c.radius : Vec2{};
            offer(meets(place, d, a + out, b + out));
            if (c.radius > 0)
                offer(meetsDisc(place, d, a, c.radius));
        }
        return best;
    case Convex::Form::sector:
        break;
    }
    const auto edge = outline(c);
    for (std::size_t i = 0; i < edge.size(); ++i)
        offer(meets(place, d, edge[i], edge[(i + 1) % edge.size()]));
    return best;
}

std::vector<ViewPart> viewFrom(Vec2 place, Angle from, Angle sweep, const std::vector<Seen>& all) {
    const double start = from.inRadians();
    const double span = std::min(sweep.inRadians(), full);
    struct Wide {
        double first = 0; ///< as turned on from `start`
        double width = 0;
        const Seen* what = nullptr;
        Vec2 centre;          ///< of a circle that holds it
        double reach = 0;     ///< that circle's radius, mm
        bool crosses = false; ///< it overlaps another
    };
    std::vector<Wide> things;
    std::vector<double> events{0, span};
    const auto event = [&](double a) {
        a = positive(a);
        if (a > 0 && a < span)
            events.push_back(a);
    };
    for (const Seen& seen : all) {
        if (gapBetween(seen.shape, pointPart(place)).apart <= Length::millimetres(0.01))
            continue;
        // Seen from outside, a convex thing takes less than half a turn: spread about its middle.
        const double middle = directionOf(insideOf(seen.shape) - place).inRadians();
        const auto [low, high] = spread(place, middle, seen.shape);
        const Vec2 centre = insideOf(seen.shape);
        things.push_back(
            {positive(middle + low - start), high - low, &seen, centre, reachOf(seen.shape)});
        event(middle + low - start);
        event(middle + high - start);
    }
    // Where outlines cross, another thing may come first within a stretch.
    for (std::size_t i = 0; i < things.size(); ++i)
        for (std::size_t k = 0; k < i; ++k) {
            const Vec2 between = things[i].centre - things[k].centre;
            const double reach = things[i].reach + things[k].reach;
            // Stretches of wall meet at their ends, where both have events already.
            const auto thin = [](const Convex& c) {
                return c.form == Convex::Form::polygon && c.count == 2 && c.radius <= 0;
            };
            if (dot(between, between) > reach * reach ||
                (thin(things[i].what->shape) && thin(things[k].what->shape)) ||
                gapBetween(things[i].what->shape, things[k].what->shape).apart > Length{})
                continue;
            things[i].crosses = things[k].crosses = true;
        }
    std::sort(events.begin(), events.end());
    const auto at = [&](double angle) {
        return Vec2{std::cos(start + angle), std::sin(start + angle)};
    };
    /// The first thing in a direction, and how far off.
    const auto first = [&](double angle) {
        const Vec2 d = at(angle);
        std::pair<const Wide*, double> best{nullptr, -1};
        for (const Wide& w : things) {
            const double in = angle - w.first;
            if ((in < 0 ? in + full : in) > w.width)
                continue;
            const double t = along(place, d, w.what->shape);
            if (t >= 0 && (best.second < 0 || t < best.second))
                best = {&w, t};
        }
        return best;
    };
    std::vector<ViewPart> out;
    const auto add = [&](double begins, double to, int owner, double far) {
        const bool goesOn = !out.empty() && out.back().owner == owner &&
                            std::abs(positive(begins + start - out.back().from.inRadians()) -
                                     out.back().sweep.inRadians()) < 1e-7;
        if (goesOn)
            out.back().sweep = out.back().sweep + Angle::radians(to - begins);
        else
            out.push_back({owner, Angle::radians(start + begins), Angle::radians(to - begins),
                           place + at((begins + to) / 2) * far});
    };
    for (std::size_t i = 0; i + 1 < events.size(); ++i) {
        const double low = events[i];
        const double high = events[i + 1];
        if (high - low < 1e-9)
            continue;
        const auto middle = first((low + high) / 2);
        if (middle.first == nullptr)
            continue;
        if (!middle.first->crosses) {
            add(low, high, middle.first->what->owner, middle.second);
            continue;
        }
        // Two that overlap may change places: looked for in steps, and closed in on by halves.
        constexpr int steps = 8;
        double begins = low;
        auto owner = first(low + (high - low) * 1e-6);
        for (int k = 1; k <= steps; ++k) {
            const double to =
                low + (high - low) * (k == steps ? 1 - 1e-6 : static_cast<double>(k) / steps);
            const auto next = first(to);
            if (next.first == nullptr || owner.first == nullptr)
                break;
            if (next.first->what->owner != owner.first->what->owner) {
                double a = std::max(begins, low);
                double b = to;
                for (int h = 0; h < 45 && b - a > 1e-11; ++h) {
                    const double m = (a + b) / 2;
                    const auto there = first(m);
                    (there.first != nullptr && there.first->what->owner == owner.first->what->owner
                         ? a
                         : b) = m;
                }
                add(begins, b, owner.first->what->owner, owner.second);
                begins = b;
            }
            owner = next;
        }
        if (owner.first != nullptr)
            add(begins, high, owner.first->what->owner, owner.second);
    }
    return out;
}

bool hides(const SightLine& line, const Shape& s, Length height) {
    const Vec2 way = line.mark - line.eye;
    const double far = norm(way);
    if (far < 1e-9)
        return false;
    const Vec2 d = way / far;
    for (const Convex& c : s.all()) {
        const double near = along(line.eye, d, c);
        if (near < 0 || near > far)
            continue;
        // Where the line leaves it, coming back from the mark.
        const double back = along(line.mark, -d, c);
        const double leaves = back < 0 ? far : far - back;
        for (const double at : {near, std::min(leaves, far)}) {
            const Length there = line.eyeHeight + (line.markHeight - line.eyeHeight) * (at / far);
            if (there < height)
                return true;
        }
    }
    return false;
}

} // namespace mezzet
