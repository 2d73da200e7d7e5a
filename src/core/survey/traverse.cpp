#include "survey/traverse.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr double mostAngularDegrees = 3;

std::vector<Angle> insideAngles(const TapeNotes& notes, Closure& closure) {
    std::vector<Angle> inside;
    double turns = 0;
    int measured = 0, unknown = 0;
    for (const auto& w : notes.walls) {
        inside.push_back(w.insideAngle);
        if (w.corner == CornerSure::unknown) {
            ++unknown;
            continue;
        }
        turns += 180 - w.insideAngle.inDegrees();
        measured += w.corner == CornerSure::assumed ? 0 : 1;
    }
    if (unknown > 0) {
        for (std::size_t i = 0; i < inside.size(); ++i)
            if (notes.walls[i].corner == CornerSure::unknown)
                inside[i] = Angle::degrees(180 - (360 - turns) / unknown);
        closure.turnsOnce = true;
        return inside;
    }
    closure.angular = Angle::degrees(360 - turns);
    const double off = std::abs(closure.angular.inDegrees());
    closure.turnsOnce = off <= mostAngularDegrees && (off < 1e-9 || measured > 0);
    if (measured > 0 && closure.turnsOnce) {
        for (std::size_t i = 0; i < inside.size(); ++i)
            if (notes.walls[i].corner != CornerSure::assumed)
                inside[i] = inside[i] - closure.angular * (1.0 / measured);
    }
    return inside;
}

std::string cornersInWords(double degrees) {
    return degrees > 0
               ? worded("the corners fall {:.4g}° short of a full turn: one is missing, or is "
                        "not “out”",
                        degrees)
               : worded("the corners turn {:.4g}° too far: one should be “out”, or is one too many",
                        -degrees);
}

} // namespace

std::vector<Vec2> compassRule(const std::vector<Vec2>& raw) {
    double perimeter = 0;
    for (std::size_t i = 0; i + 1 < raw.size(); ++i)
        perimeter += norm(raw[i + 1] - raw[i]);
    const Vec2 step = raw.back() - raw.front();
    std::vector<Vec2> out;
    double run = 0;
    for (std::size_t i = 0; i + 1 < raw.size(); ++i) {
        out.push_back(raw[i] - step * (perimeter > 0 ? run / perimeter : 0));
        run += norm(raw[i + 1] - raw[i]);
    }
    return out;
}

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
    t.inside = insideAngles(notes, c);
    t.raw.push_back({0, 0});
    Angle heading;
    bool allKnown = true;
    for (std::size_t i = 0; i < n; ++i) {
        t.raw.push_back(t.raw.back() + turned({1, 0}, heading) * notes.walls[i].run.value.mm());
        heading = heading + Angle::degrees(180) - t.inside[i];
        c.perimeter += notes.walls[i].run.value;
        allKnown = allKnown && notes.walls[i].corner != CornerSure::unknown;
    }
    c.step = t.raw.back() - t.raw.front();
    c.misclosure = Length::millimetres(norm(c.step));
    const bool exact = c.misclosure <= quiet;
    c.ratio = exact ? 0 : c.perimeter / c.misclosure;
    // With corners unknown there is no misclosure to speak of: the runs and diagonals close it.
    c.closed = n >= 3 && c.turnsOnce && (exact || !allKnown || c.ratio >= notes.tolerance);
    if (n >= 3) {
        t.balanced = compassRule(t.raw);
        const Angle back = -directionOf(t.balanced[1] - t.balanced[0]);
        for (Vec2& p : t.balanced)
            p = turned(p, back);
        t.balanced[1].y = 0;
    }
    if (n < 3 || (!c.closed && c.step == Vec2{}))
        c.words = "Not all walls are taped yet.";
    else if (!c.turnsOnce)
        c.words = worded("The room doesn't close: {}.", cornersInWords(c.angular.inDegrees()));
    else if (!c.closed)
        c.words =
            worded("The room doesn't close: the end of wall {} misses the start of "
                   "wall A by {}, 1 in {:.0f}, and 1 in {:g} is asked. Measure again.",
                   notes.walls.back().name, write(c.misclosure, shown), c.ratio, notes.tolerance);
    else if (!allKnown)
        c.words = "The room closes by its runs and diagonals.";
    else
        c.words = exact ? "The room closes to nothing."
                        : worded("The room closes within {}, 1 in {:.0f}; the difference is "
                                 "spread by least squares.",
                                 write(c.misclosure, shown), c.ratio);
    return t;
}

} // namespace mezzet
