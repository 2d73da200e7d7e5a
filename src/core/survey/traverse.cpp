#include "survey/traverse.h"

#include "geometry/polygon.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

constexpr double mostAngularDegrees = 3;

std::vector<Angle> insideAngles(const TapeNotes& notes, Closure& closure) {
    std::vector<Angle> inside;
    double turns = 0;
    int measured = 0;
    for (const auto& w : notes.walls) {
        inside.push_back(w.insideAngle);
        turns += 180 - w.insideAngle.inDegrees();
        measured += w.angleMeasured ? 1 : 0;
    }
    closure.angular = Angle::degrees(360 - turns);
    if (measured > 0 && std::abs(closure.angular.inDegrees()) <= mostAngularDegrees) {
        for (std::size_t i = 0; i < inside.size(); ++i)
            if (notes.walls[i].angleMeasured)
                inside[i] = inside[i] - closure.angular * (1.0 / measured);
    }
    return inside;
}

std::string cornersInWords(double degrees) {
    return degrees > 0
               ? fmt::format("the corners fall {:.4g}° short of a full turn: one is missing, or is "
                             "not “out”",
                             degrees)
               : fmt::format(
                     "the corners turn {:.4g}° too far: one should be “out”, or is one too many",
                     -degrees);
}

} // namespace

Traverse traverse(const TapeNotes& notes) {
    Traverse t;
    Closure& c = t.closure;
    const std::size_t n = notes.walls.size();
    const Notation shown{notes.units, 16};
    c.corrections.assign(n, Length{});
    if (n == 0) {
        c.words = "No wall is taped yet.";
        return t;
    }
    const auto inside = insideAngles(notes, c);
    std::vector<Vec2> raw{{0, 0}};
    Angle heading;
    for (std::size_t i = 0; i < n; ++i) {
        raw.push_back(raw.back() + turned({1, 0}, heading) * notes.walls[i].run.mm());
        heading = heading + Angle::degrees(180) - inside[i];
        c.perimeter += notes.walls[i].run;
    }
    c.step = raw.back() - raw.front();
    c.misclosure = Length::millimetres(norm(c.step));
    const bool exact = c.misclosure <= quiet;
    c.ratio = exact ? 0 : c.perimeter / c.misclosure;
    const bool turnsRight = std::abs(c.angular.inDegrees()) <= mostAngularDegrees &&
                            (std::abs(c.angular.inDegrees()) < 1e-9 ||
                             std::any_of(notes.walls.begin(), notes.walls.end(),
                                         [](const TapedWall& w) { return w.angleMeasured; }));
    c.closed = n >= 3 && turnsRight && (exact || c.ratio >= notes.tolerance);

    if (!c.closed) {
        t.corners = raw;
        if (n < 3 || c.step == Vec2{})
            c.words = "Not all walls are taped yet.";
        else if (!turnsRight)
            c.words =
                fmt::format("The room doesn't close: {}.", cornersInWords(c.angular.inDegrees()));
        else
            c.words = fmt::format("The room doesn't close: the end of wall {} misses the start of "
                                  "wall A by {}, 1 in {:.0f}, "
                                  "and 1 in {:g} is asked. Measure again.",
                                  notes.walls.back().name, write(c.misclosure, shown), c.ratio,
                                  notes.tolerance);
    } else {
        Length run;
        std::vector<Vec2> corners;
        for (std::size_t i = 0; i < n; ++i) {
            corners.push_back(raw[i] - c.step * (run / c.perimeter));
            run += notes.walls[i].run;
        }
        const Angle back = -directionOf(corners[1] - corners[0]);
        for (Vec2& p : corners)
            p = turned(p, back);
        corners[1].y = 0;
        for (std::size_t i = 0; i < n; ++i)
            c.corrections[i] = distance(corners[i], corners[(i + 1) % n]) - notes.walls[i].run;
        t.corners = corners;
        c.words = exact ? "The room closes to nothing."
                        : fmt::format("The room closes within {}, 1 in {:.0f}; the difference is "
                                      "spread over the walls.",
                                      write(c.misclosure, shown), c.ratio);
    }

    for (const auto& d : notes.diagonals) {
        DiagonalCheck check{d.from, d.to, d.run, {}, true};
        check.computed = distance(t.corners[static_cast<std::size_t>(d.from)],
                                  t.corners[static_cast<std::size_t>(d.to)]);
        const Length allowed = std::max(d.run / notes.tolerance, Length::inches(0.25));
        check.agrees = abs(check.computed - check.taped) <= allowed;
        t.diagonals.push_back(check);
        if (!check.agrees)
            c.words += fmt::format(" The diagonal {} to {} was taped {} and the walls give {}.",
                                   wallName(d.from), wallName(d.to), write(d.run, shown),
                                   write(check.computed, shown));
    }
    return t;
}

} // namespace mezzet
