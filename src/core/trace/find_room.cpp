#include "geometry/geos.h"
#include "geometry/polygon.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "trace/drawn_sheet.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

namespace mezzet {

namespace {

constexpr double together = 2;    ///< mm: ends this near are one point
constexpr double inLine = 6;      ///< mm: stretches this far apart across run in one line
constexpr double narrowest = 300; ///< mm: of an opening
constexpr double widest = 2750;   ///< mm
constexpr std::size_t mostLines = 400000;

struct Line {
    Vec2 a;
    Vec2 b;
};

/// Ends of stretches, found again by place.
class Ends {
public:
    void add(Vec2 p, int line) { cells_[cell(p)].push_back({p, line}); }
    template <class Take> void near(Vec2 p, double r, Take take) const {
        const auto lo = cell(p - Vec2{r, r});
        const auto hi = cell(p + Vec2{r, r});
        for (long x = lo.first; x <= hi.first; ++x) {
            for (long y = lo.second; y <= hi.second; ++y) {
                const auto it = cells_.find({x, y});
                if (it == cells_.end())
                    continue;
                for (const auto& e : it->second)
                    if (norm(e.first - p) <= r)
                        take(e.first, e.second);
            }
        }
    }

private:
    static std::pair<long, long> cell(Vec2 p) {
        return {std::lround(std::floor(p.x / 500)), std::lround(std::floor(p.y / 500))};
    }
    std::map<std::pair<long, long>, std::vector<std::pair<Vec2, int>>> cells_;
};

GEOSGeometry* lineString(Geos& g, const Line& l) {
    auto* seq = GEOSCoordSeq_create_r(g.context(), 2, 2);
    GEOSCoordSeq_setXY_r(g.context(), seq, 0, l.a.x, l.a.y);
    GEOSCoordSeq_setXY_r(g.context(), seq, 1, l.b.x, l.b.y);
    return GEOSGeom_createLineString_r(g.context(), seq);
}

class Finder {
public:
    Finder(const DrawnSheet& sheet, const LayerRoles& roles, double unit, Watch* watch)
        : sheet_(sheet), roles_(roles), unit_(unit), watch_(watch) {}

    Result<TracedRoom> find(std::optional<Vec2> inside) {
        gather();
        if (lines_.empty())
            return Problem{"there is no line on the wall layers", "choose the layers of the walls"};
        if (lines_.size() > mostLines)
            return Problem{worded("there are {} lines on the wall layers, more than {}",
                                  lines_.size(), mostLines),
                           "choose only the layers of the walls"};
        bridge();
        if (stopped())
            return stop();
        auto faces = polygonise();
        if (stopped())
            return stop();
        std::optional<std::size_t> best;
        for (std::size_t i = 0; i < faces.size(); ++i) {
            if (inside && !insideOutline(faces[i], *inside * unit_))
                continue;
            const double area = std::abs(signedArea(faces[i]));
            const double than = best ? std::abs(signedArea(faces[*best])) : 0;
            // At a point the smallest that holds it; else the largest there is.
            if (!best || (inside ? area < than : area > than))
                best = i;
        }
        if (!best)
            return Problem{inside && !faces.empty() ? "no closed outline holds that point"
                                                    : "the lines on the wall layers close no room",
                           "choose other layers, or click the corners yourself"};
        if (std::abs(signedArea(faces[*best])) < 0.5e6)
            return Problem{"the outline found is smaller than any room",
                           "check the drawing's unit, or click inside the room"};
        TracedRoom room;
        room.corners = faces[*best];
        room.byEye = false;
        openings(room);
        return room;
    }

private:
    [[nodiscard]] bool stopped() const { return watch_ != nullptr && watch_->stop; }
    static Problem stop() { return {"it was stopped", "nothing was changed"}; }

    static bool holds(const std::vector<int>& layers, int layer) {
        return std::find(layers.begin(), layers.end(), layer) != layers.end();
    }

    void gather() {
        for (const DrawnLine& l : sheet_.lines) {
            const Line line{l.from * unit_, l.to * unit_};
            if (norm(line.b - line.a) < 0.01)
                continue;
            if (holds(roles_.walls, l.layer))
                lines_.push_back(line);
            else if (holds(roles_.windows, l.layer))
                windows_.push_back(line);
            else if (holds(roles_.doors, l.layer))
                doors_.push_back(line);
        }
    }

    /// Bridges gaps between ends that look at each other along one line.
    void bridge() {
        Ends ends;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            ends.add(lines_[i].a, static_cast<int>(i));
            ends.add(lines_[i].b, static_cast<int>(i));
        }
        const std::size_t count = lines_.size();
        for (std::size_t i = 0; i < count && !stopped(); ++i) {
            for (const bool atB : {false, true}) {
                const Vec2 p = atB ? lines_[i].b : lines_[i].a;
                const Vec2 out = unit(atB ? lines_[i].b - lines_[i].a : lines_[i].a - lines_[i].b);
                // Only where nothing goes on in the same direction.
                bool goesOn = false;
                ends.near(p, together, [&](Vec2, int k) {
                    if (k == static_cast<int>(i))
                        return;
                    const Line& l = lines_[static_cast<std::size_t>(k)];
                    const bool fromA = norm(l.a - p) <= together;
                    const Vec2 way = unit(fromA ? l.b - l.a : l.a - l.b);
                    goesOn = goesOn || dot(way, out) > 0.999;
                });
                if (goesOn)
                    continue;
                std::optional<Vec2> best;
                double nearest = widest;
                ends.near(p + out * (widest / 2), widest / 2 + inLine, [&](Vec2 q, int k) {
                    const double ahead = dot(q - p, out);
                    if (k == static_cast<int>(i) || ahead < narrowest || ahead > nearest ||
                        std::abs(cross(out, q - p)) > inLine)
                        return;
                    const Line& l = lines_[static_cast<std::size_t>(k)];
                    const bool fromA = norm(l.a - q) <= 1e-6;
                    const Vec2 way = unit(fromA ? l.b - l.a : l.a - l.b);
                    if (dot(way, out) < 0.999)
                        return;
                    nearest = ahead;
                    best = q;
                });
                if (best && i < lines_.size()) {
                    const Line gap{p, *best};
                    const bool known = std::any_of(gaps_.begin(), gaps_.end(), [&](const Line& g) {
                        return (norm(g.a - gap.a) < together && norm(g.b - gap.b) < together) ||
                               (norm(g.a - gap.b) < together && norm(g.b - gap.a) < together);
                    });
                    if (!known)
                        gaps_.push_back(gap);
                }
            }
        }
        lines_.insert(lines_.end(), gaps_.begin(), gaps_.end());
    }

    std::vector<std::vector<Vec2>> polygonise() {
        std::vector<GEOSGeometry*> parts;
        parts.reserve(lines_.size());
        for (const Line& l : lines_) {
            // To a hundredth of a millimetre, so that ends meant to meet do.
            const auto tidy = [](Vec2 v) {
                return Vec2{std::round(v.x * 100) / 100, std::round(v.y * 100) / 100};
            };
            const Line t{tidy(l.a), tidy(l.b)};
            if (t.a == t.b)
                continue;
            parts.push_back(lineString(geos_, t));
        }
        auto* all = geos_.own(GEOSGeom_createCollection_r(geos_.context(), GEOS_MULTILINESTRING,
                                                          parts.data(),
                                                          static_cast<unsigned>(parts.size())));
        auto* noded = geos_.own(GEOSUnaryUnion_r(geos_.context(), all));
        std::vector<std::vector<Vec2>> faces;
        if (noded == nullptr || stopped())
            return faces;
        const GEOSGeometry* const list[] = {noded};
        auto* made = geos_.own(GEOSPolygonize_r(geos_.context(), list, 1));
        if (made == nullptr)
            return faces;
        const int n = GEOSGetNumGeometries_r(geos_.context(), made);
        for (int i = 0; i < n; ++i)
            faces.push_back(geos_.cornersOf(GEOSGetExteriorRing_r(
                geos_.context(), GEOSGetGeometryN_r(geos_.context(), made, i))));
        return faces;
    }

    /// Bridged gaps on the outline are openings; and so are windows drawn over unbroken walls.
    void openings(TracedRoom& room) {
        const std::size_t n = room.corners.size();
        const auto onOutline = [&](const Line& l) {
            for (std::size_t i = 0; i < n; ++i) {
                const Segment s{room.corners[i], room.corners[(i + 1) % n]};
                if (norm(l.a - nearestOn(s, l.a)) <= inLine &&
                    norm(l.b - nearestOn(s, l.b)) <= inLine)
                    return true;
            }
            return false;
        };
        const auto crossedBy = [](const Line& gap, const std::vector<Line>& lines) {
            const Vec2 u = unit(gap.b - gap.a);
            const double length = norm(gap.b - gap.a);
            return std::any_of(lines.begin(), lines.end(), [&](const Line& l) {
                const Vec2 m = (l.a + l.b) / 2;
                const double s = dot(m - gap.a, u);
                return s > -50 && s < length + 50 && std::abs(cross(u, m - gap.a)) < length + 400;
            });
        };
        for (const Line& gap : gaps_)
            if (onOutline(gap))
                room.openings.push_back({crossedBy(gap, doors_)     ? OpeningKind::door
                                         : crossedBy(gap, windows_) ? OpeningKind::window
                                                                    : OpeningKind::opening,
                                         gap.a, gap.b});
        // Stretches of the window or door layers that lie along the outline or in its wall.
        for (const auto* layer : {&windows_, &doors_}) {
            for (const Line& l : *layer) {
                if (norm(l.b - l.a) < narrowest)
                    continue;
                for (std::size_t i = 0; i < n; ++i) {
                    const Vec2 a = room.corners[i];
                    const Vec2 b = room.corners[(i + 1) % n];
                    const Vec2 u = unit(b - a);
                    const double s0 = dot(l.a - a, u);
                    const double s1 = dot(l.b - a, u);
                    const double off = cross(u, l.a - a);
                    if (std::abs(cross(u, unit(l.b - l.a))) > 0.02 || std::abs(off) > 60 ||
                        std::min(s0, s1) < -1 || std::max(s0, s1) > norm(b - a) + 1)
                        continue;
                    const TracedOpening o{layer == &windows_ ? OpeningKind::window
                                                             : OpeningKind::door,
                                          a + u * s0, a + u * s1};
                    const Vec2 m = (o.from + o.to) / 2;
                    const bool known = std::any_of(
                        room.openings.begin(), room.openings.end(), [&](const TracedOpening& k) {
                            return norm(m - nearestOn({k.from, k.to}, m)) < 100;
                        });
                    if (!known)
                        room.openings.push_back(o);
                }
            }
        }
    }

    const DrawnSheet& sheet_;
    const LayerRoles& roles_;
    double unit_;
    Watch* watch_;
    Geos geos_;
    std::vector<Line> lines_;
    std::vector<Line> windows_;
    std::vector<Line> doors_;
    std::vector<Line> gaps_;
};

} // namespace

LayerRoles guessRoles(const DrawnSheet& sheet) {
    LayerRoles roles;
    std::vector<int> others;
    for (std::size_t i = 0; i < sheet.layers.size(); ++i) {
        const auto name = foldCase(sheet.layers[i]);
        const int layer = static_cast<int>(i);
        const auto has = [&](std::initializer_list<const char*> words) {
            return std::any_of(words.begin(), words.end(),
                               [&](const char* w) { return name.find(w) != std::string::npos; });
        };
        if (has({"window", "glaz"}))
            roles.windows.push_back(layer);
        else if (has({"door"}))
            roles.doors.push_back(layer);
        else if (has({"wall"}))
            roles.walls.push_back(layer);
        else
            others.push_back(layer);
    }
    if (roles.walls.empty())
        roles.walls = others;
    return roles;
}

Result<TracedRoom> findRoom(const DrawnSheet& sheet, const LayerRoles& roles, double unitMm,
                            std::optional<Vec2> inside, Watch* watch) {
    if (!(unitMm > 0))
        return Problem{"the drawing doesn't say its unit", "say what one unit of it is"};
    return Finder(sheet, roles, unitMm, watch).find(inside);
}

} // namespace mezzet
