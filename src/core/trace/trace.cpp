#include "trace/trace.h"

#include "geometry/polygon.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "survey/tape_notes.h"

#include <Eigen/Dense>
#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>

namespace mezzet {

Result<Straightener> Straightener::of(const std::array<Vec2, 4>& c, double width, double height) {
    const Problem bad{"these four corners make no rectangle",
                      "click the corners of one known rectangle in turn, from the upper left"};
    if (!(width > 0) || !(height > 0))
        return Problem{"the rectangle has no size", "say its width and height"};
    double size = 0;
    for (const Vec2 p : c) {
        if (!std::isfinite(p.x) || !std::isfinite(p.y))
            return bad;
        size = std::max(size, norm(p - c[0]));
    }
    // All turns one way: a simple, convex figure.
    for (std::size_t i = 0; i < 4; ++i) {
        const Vec2 a = c[(i + 1) % 4] - c[i];
        const Vec2 b = c[(i + 2) % 4] - c[(i + 1) % 4];
        if (cross(a, b) < 1e-6 * size * size)
            return bad;
    }
    const std::array<Vec2, 4> to{Vec2{0, 0}, {width, 0}, {width, height}, {0, height}};
    // Eight unknowns, h33 = 1 (the direct linear transformation; any text on projective geometry).
    Eigen::Matrix<double, 8, 8> a;
    Eigen::Matrix<double, 8, 1> b;
    for (int i = 0; i < 4; ++i) {
        const Vec2 p = c[static_cast<std::size_t>(i)];
        const Vec2 q = to[static_cast<std::size_t>(i)];
        a.row(2 * i) << p.x, p.y, 1, 0, 0, 0, -p.x * q.x, -p.y * q.x;
        a.row(2 * i + 1) << 0, 0, 0, p.x, p.y, 1, -p.x * q.y, -p.y * q.y;
        b(2 * i) = q.x;
        b(2 * i + 1) = q.y;
    }
    const Eigen::Matrix<double, 8, 1> h = a.fullPivLu().solve(b);
    if (!h.allFinite())
        return bad;
    Straightener s;
    for (int i = 0; i < 8; ++i)
        s.h_[static_cast<std::size_t>(i)] = h(i);
    return s;
}

Vec2 Straightener::map(Vec2 p) const {
    const double w = h_[6] * p.x + h_[7] * p.y + h_[8];
    return Vec2{h_[0] * p.x + h_[1] * p.y + h_[2], h_[3] * p.x + h_[4] * p.y + h_[5]} / w;
}

Result<ScaleFit> fitScale(const std::vector<KnownLength>& known) {
    if (known.empty())
        return Problem{"no length is known yet", "click two points and say how far they are apart"};
    double ll = 0, lp = 0;
    for (const auto& k : known) {
        const double pixels = norm(k.to - k.from);
        if (pixels < 5)
            return Problem{"these two points are too close to scale by",
                           "take a length that goes far across the drawing"};
        if (k.length <= Length{})
            return Problem{"a known length is nothing", "say how far the points are apart"};
        ll += pixels * pixels;
        lp += pixels * k.length.mm();
    }
    ScaleFit fit;
    fit.mmPerPixel = lp / ll;
    double squares = 0;
    for (const auto& k : known) {
        const double off = fit.mmPerPixel * norm(k.to - k.from) - k.length.mm();
        fit.misfits.push_back(Length::millimetres(off));
        squares += off * off;
    }
    if (known.size() > 1)
        fit.error =
            std::sqrt(squares / static_cast<double>(known.size() - 1) / ll) / fit.mmPerPixel;
    return fit;
}

Snapped snapClick(const std::vector<Vec2>& soFar, Vec2 click, double degrees, double near) {
    Snapped out{click, false, false};
    if (soFar.size() >= 3 && norm(click - soFar.front()) <= near) {
        out.at = soFar.front();
        out.closes = true;
        return out;
    }
    if (soFar.empty())
        return out;
    const Vec2 last = soFar.back();
    // The first stretch is squared to the sheet, the others to the one before.
    const Vec2 along = soFar.size() < 2 ? Vec2{1, 0} : unit(soFar.back() - soFar[soFar.size() - 2]);
    const Vec2 step = click - last;
    for (const Vec2 way : {along, quarter(along)}) {
        const double off = std::abs(std::atan2(cross(way, step), dot(way, step)));
        const double angle = std::min(off, std::abs(std::acos(-1.0) - off));
        if (angle * 180 / std::acos(-1.0) <= degrees) {
            out.at = last + way * dot(step, way);
            out.square = true;
            break;
        }
    }
    // The stretch that will close wants to be square to the first: line up with it.
    if (out.square && soFar.size() >= 3) {
        const Vec2 first = unit(soFar[1] - soFar[0]);
        const Vec2 way = unit(out.at - last);
        if (std::abs(dot(first, way)) > 0.999) {
            const double lineUp = dot(soFar.front() - last, way);
            if (std::abs(lineUp - dot(out.at - last, way)) <= near * 1.5)
                out.at = last + way * lineUp;
        }
    }
    return out;
}

Result<std::string> notesOf(const TracedRoom& room, Units units, Pose* place) {
    std::vector<Vec2> c;
    for (const Vec2 p : room.corners)
        if (c.empty() || norm(p - c.back()) > 1)
            c.push_back(p);
    while (c.size() > 1 && norm(c.front() - c.back()) <= 1)
        c.pop_back();
    // Points along a straight wall are no corners.
    for (std::size_t i = 0; i < c.size() && c.size() > 3;) {
        const std::size_t n = c.size();
        const Vec2 a = c[i] - c[(i + n - 1) % n];
        const Vec2 b = c[(i + 1) % n] - c[i];
        if (std::abs(cross(unit(a), unit(b))) < 2e-4 && dot(a, b) > 0)
            c.erase(c.begin() + static_cast<std::ptrdiff_t>(i));
        else
            ++i;
    }
    if (c.size() < 3)
        return Problem{"a room has three walls at least", "click its corners in turn"};
    if (c.size() > 200)
        return Problem{worded("this outline has {} corners, and a room has at most 200", c.size()),
                       "choose fewer layers, or click the corners yourself"};
    if (signedArea(c) < 0)
        std::reverse(c.begin() + 1, c.end());
    if (const auto hit = selfCrossing(c))
        return Problem{worded("the outline crosses itself between corners {} and {}",
                              hit->first + 1, hit->second + 1),
                       "click the corners in turn round the room"};
    const std::size_t n = c.size();
    if (place != nullptr)
        *place = {c[0], directionOf(c[1] - c[0])};
    struct Hole {
        std::size_t wall;
        double left;
        double width;
        OpeningKind kind;
    };
    std::vector<Hole> holes;
    for (const auto& o : room.openings) {
        const Vec2 m = (o.from + o.to) / 2;
        std::size_t best = 0;
        double near = 1e300;
        for (std::size_t i = 0; i < n; ++i) {
            const Segment s{c[i], c[(i + 1) % n]};
            const Vec2 u = unit(s.to - s.from);
            // On the wall it runs along, not one it butts.
            const double far =
                norm(m - nearestOn(s, m)) + 300 * std::abs(cross(u, unit(o.to - o.from)));
            if (far < near) {
                near = far;
                best = i;
            }
        }
        if (near > 600)
            return Problem{"an opening lies on no wall", "click its two jambs on the wall"};
        const Vec2 u = unit(c[(best + 1) % n] - c[best]);
        const double length = norm(c[(best + 1) % n] - c[best]);
        double l = dot(o.from - c[best], u);
        double r = dot(o.to - c[best], u);
        if (l > r)
            std::swap(l, r);
        l = std::max(l, 0.0);
        r = std::min(r, length);
        if (r - l > 50)
            holes.push_back({best, l, r - l, o.kind});
    }
    std::sort(holes.begin(), holes.end(),
              [](const Hole& a, const Hole& b) { return a.left < b.left; });
    // True figures keep a hundredth of a millimetre; a picture is not that sure.
    const auto length = [&](double mm) {
        return room.byEye ? write(Length::millimetres(mm), {units, 8})
                          : fmt::format("{:.2f}mm", mm);
    };
    // What follows a # in notes is a remark.
    auto name = tidyName(room.name);
    std::replace(name.begin(), name.end(), '#', ' ');
    name = tidyName(name);
    std::string out = fmt::format("room {}\n", name.empty() ? "Room" : name);
    if (room.byEye)
        out += "taken by eye  # traced from a picture; tape what matters\n";
    else
        out +=
            "accuracy tape 0.1mm  # read from a drawing with true figures\naccuracy angle 0.01\n";
    for (std::size_t i = 0; i < n; ++i) {
        const Vec2 here = c[(i + 1) % n] - c[i];
        const Vec2 next = c[(i + 2) % n] - c[(i + 1) % n];
        out += fmt::format("wall {} {}\n", wallName(static_cast<int>(i)), length(norm(here)));
        double covered = -1;
        for (const Hole& h : holes) {
            if (h.wall != i || h.left < covered)
                continue; // drawn twice
            covered = h.left + h.width;
            const char* kind = h.kind == OpeningKind::window ? "window"
                               : h.kind == OpeningKind::door ? "door"
                                                             : "opening";
            out +=
                fmt::format("  {} {} from left, {} wide\n", kind, length(h.left), length(h.width));
        }
        const double inside = 180 - difference(directionOf(next), directionOf(here)).inDegrees();
        if (std::abs(inside - 90) <= 0.02)
            continue;
        if (std::abs(inside - 270) <= 0.02)
            out += "corner out\n";
        else
            out += fmt::format("corner {:.3f}\n", inside);
    }
    if (room.byEye)
        out += "taken by tape\n";
    // Never notes that could not be read again.
    if (const auto again = readTapeNotes(out); !again)
        return Problem{worded("the outline makes no room: {}", again.problem().what),
                       again.problem().remedy};
    return out;
}

namespace {

class TracingReader {
public:
    TracingReader(Units units, std::string_view file) : units_(units), file_(file) {}

    Result<Tracing> read(std::string_view text) {
        out_.room.name = "Traced room";
        while (!text.empty()) {
            const auto end = text.find('\n');
            line_ = text.substr(0, end);
            ++number_;
            rest_ = trimmed(line_.substr(0, line_.find('#')));
            if (!rest_.empty()) {
                if (auto p = one())
                    return *p;
            }
            if (end == std::string_view::npos)
                break;
            text.remove_prefix(end + 1);
        }
        return out_;
    }

private:
    Problem fault(std::string what, std::string remedy) const {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file_;
        p.line = number_;
        p.column = static_cast<int>(characterCount(
                       line_.substr(0, static_cast<std::size_t>(rest_.data() - line_.data())))) +
                   1;
        p.width = 1;
        return p;
    }
    std::string_view word() {
        rest_ = trimmed(rest_);
        const auto w = rest_.substr(0, rest_.find_first_of(" \t"));
        rest_.remove_prefix(w.size());
        rest_ = trimmed(rest_);
        return w;
    }
    std::optional<Vec2> point() {
        const auto before = rest_;
        const auto w = word();
        const auto comma = w.find(',');
        Vec2 p;
        if (comma != std::string_view::npos) {
            const auto number = [](std::string_view t, double& v) {
                const auto [end, error] = std::from_chars(t.data(), t.data() + t.size(), v);
                return error == std::errc() && end == t.data() + t.size() && std::isfinite(v) &&
                       std::abs(v) < 1e7;
            };
            if (number(w.substr(0, comma), p.x) && number(w.substr(comma + 1), p.y))
                return p;
        }
        rest_ = before;
        return {};
    }

    std::optional<Problem> one() {
        const auto start = rest_;
        const auto w = foldCase(word());
        if (w == "room") {
            if (rest_.empty() || characterCount(rest_) > 80)
                return fault("the room needs a name of at most 80 characters",
                             "like: room Parlour");
            out_.room.name = std::string(rest_);
            return {};
        }
        if (w == "loose") {
            out_.snap = false;
            return {};
        }
        const std::size_t count = w == "rectangle" ? 4 : w == "corner" ? 1 : 2;
        const bool known = w == "rectangle" || w == "scale" || w == "corner" || w == "window" ||
                           w == "door" || w == "opening";
        if (!known) {
            rest_ = start;
            return fault(worded("“{}” is no step of a tracing", w),
                         "a line begins with rectangle, scale, room, corner, window, door, opening "
                         "or loose");
        }
        std::array<Vec2, 4> p;
        for (std::size_t i = 0; i < count; ++i) {
            const auto at = point();
            if (!at)
                return fault("a point was expected here", "write it like 120,90");
            p[i] = *at;
        }
        if (w == "corner")
            out_.room.corners.push_back(p[0]);
        else if (w == "rectangle" || w == "scale")
            return lengths(w == "rectangle", p);
        else
            out_.room.openings.push_back({w == "window" ? OpeningKind::window
                                          : w == "door" ? OpeningKind::door
                                                        : OpeningKind::opening,
                                          p[0], p[1]});
        return {};
    }

    std::optional<Problem> lengths(bool rectangle, const std::array<Vec2, 4>& p) {
        if (!rest_.starts_with('='))
            return fault("a known length was expected here", "write it like = 12' 4\"");
        rest_.remove_prefix(1);
        const auto length = [&]() -> Result<Length> {
            rest_ = trimmed(rest_);
            auto l = scanLength(rest_, units_);
            if (!l)
                return l.problem();
            if (l->value <= Length{})
                return Problem{"a known length is more than nothing", "check the figure"};
            rest_.remove_prefix(l->used);
            return l->value;
        };
        const auto first = length();
        if (!first)
            return fault(first.problem().what, first.problem().remedy);
        if (!rectangle) {
            out_.lengths.push_back({p[0], p[1], *first});
            return {};
        }
        rest_ = trimmed(rest_);
        if (rest_.empty() || (rest_.front() != 'x' && rest_.front() != 'X'))
            return fault("the rectangle's height is missing", "write it like = 12' x 9'");
        rest_.remove_prefix(1);
        const auto second = length();
        if (!second)
            return fault(second.problem().what, second.problem().remedy);
        out_.corners = p;
        out_.width = *first;
        out_.height = *second;
        return {};
    }

    Units units_;
    std::string_view file_;
    std::string_view line_;
    std::string_view rest_;
    int number_ = 0;
    Tracing out_;
};

} // namespace

Result<Tracing> readTracing(std::string_view text, Units units, std::string_view file) {
    constexpr std::size_t mostBytes = 200000;
    if (text.size() > mostBytes)
        return Problem{worded("the tracing is over {} KB", mostBytes / 1000),
                       "a room is traced in far fewer steps", std::string(file)};
    return TracingReader(units, file).read(text);
}

Result<std::string> notesOf(const Tracing& t, Units units, ScaleFit* fit, Pose* place) {
    Straightener straight;
    std::vector<KnownLength> known = t.lengths;
    if (t.corners) {
        auto s = Straightener::of(*t.corners, straightWidth, straightWidth * (t.height / t.width));
        if (!s)
            return s.problem();
        straight = *s;
        for (auto& k : known) {
            k.from = straight.map(k.from);
            k.to = straight.map(k.to);
        }
        known.push_back({{0, 0}, {straightWidth, 0}, t.width});
    }
    const auto scale = fitScale(known);
    if (!scale)
        return scale.problem();
    if (fit != nullptr)
        *fit = *scale;
    TracedRoom room = t.room;
    std::vector<Vec2> corners;
    for (const Vec2 click : t.room.corners) {
        const Vec2 p = straight.map(click) * scale->mmPerPixel;
        const auto snapped = snapClick(corners, p, t.snap ? squareWithin : 0, 0);
        corners.push_back(snapped.at);
    }
    // The last corner lines up with the first when the last stretch is nearly square to the first.
    if (t.snap && corners.size() >= 4) {
        const Vec2 first = unit(corners[1] - corners[0]);
        const Vec2 before = unit(corners[corners.size() - 1] - corners[corners.size() - 2]);
        const double off = dot(corners.back() - corners.front(), first);
        const double far = norm(corners.back() - corners.front());
        if (std::abs(std::abs(dot(before, first)) - 1) < 1e-6 &&
            std::abs(off) < far * std::tan(squareWithin * std::acos(-1.0) / 180))
            corners.back() = corners.back() - first * off;
    }
    room.corners = corners;
    for (auto& o : room.openings) {
        o.from = straight.map(o.from) * scale->mmPerPixel;
        o.to = straight.map(o.to) * scale->mmPerPixel;
    }
    return notesOf(room, units, place);
}

} // namespace mezzet
