#include "handover/tape_out.h"

#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"

#include <algorithm>
#include <numbers>

namespace mezzet {

namespace {

constexpr double hairs = 0.5;       ///< mm: nearer than this a tape only touches
constexpr double longTape = 7500;   ///< mm: a tape is held to more by two people
constexpr std::size_t tried = 40;   ///< the nearest marks that are tried
constexpr double againstWall = 300; ///< mm: what stands so near shows its back on the wall

/// A place to hold the tape to, and where it goes from there.
struct Hold {
    TapeFrom from;
    Vec2 way; ///< unit, from there to the point
    double cost = 0;
    bool blocked = false;
};

/// The stretch of a segment inside a convex outline (clockwise as drawn), mm.
double inside(const std::vector<Vec2>& corners, Segment s) {
    const Vec2 d = s.to - s.from;
    double low = 0, high = 1;
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const Vec2 a = corners[i], b = corners[(i + 1) % corners.size()];
        const Vec2 in = quarter(unit(b - a));
        const double at = dot(s.from - a, in), step = dot(d, in);
        if (std::abs(step) < 1e-12) {
            if (at <= hairs)
                return 0;
            continue;
        }
        const double t = (hairs - at) / step;
        if (step > 0)
            low = std::max(low, t);
        else
            high = std::min(high, t);
    }
    return high > low ? (high - low) * norm(d) : 0;
}

struct Mark {
    std::string name;
    Vec2 at;
    int piece = 0; ///< 0 for a corner of the room
};

/// A point of a piece that is to be marked.
struct Wanted {
    std::string corner;
    Vec2 at;
};

class Taping {
public:
    Taping(const Scene& scene, const Notation& shown) : scene_(scene), room_(*scene.room) {
        const auto corners = room_.corners();
        const Wording say{room_, *scene.scheme, shown};
        for (std::size_t i = 0; i < room_.walls.size(); ++i) {
            Target t;
            t.is = Target::Is::corner;
            t.index = static_cast<int>(i);
            if (room_.closed || i > 0)
                marks_.push_back({words(t, say), room_.walls[i].start, 0});
        }
        for (const Fixture& f : room_.fixtures)
            if (f.takesFloor()) {
                const Shape body = solid(room_, f);
                for (const Convex& c : body.all())
                    walls_.push_back(outline(c));
            }
        for (std::size_t i = 0; i < room_.stretches(); ++i) {
            const Wall s = room_.stretchAt(i);
            edges_.push_back({s.start, s.end});
        }
    }

    TapeOut all() {
        std::vector<std::size_t> left;
        for (std::size_t k = 0; k < scene_.floor.pieces.size(); ++k) {
            const Piece& p = scene_.scheme->pieces[scene_.floor.pieces[k]];
            const bool fitted = p.rug && p.rug->fit;
            if (!p.on.isCarried() && !fitted && !(p.rug && p.rug->stairs > 0))
                left.push_back(k);
        }
        // Those in the middle first; of those alike, the one placed first.
        std::vector<double> clear(scene_.floor.pieces.size());
        for (const std::size_t k : left)
            clear[k] = fromWalls(scene_.floor.placed[k].pose.at);
        std::stable_sort(left.begin(), left.end(),
                         [&](std::size_t a, std::size_t b) { return clear[a] > clear[b] + 1; });
        while (!left.empty()) {
            std::optional<std::vector<TapeStep>> best;
            std::size_t bestAt = 0, bestBlocked = 0;
            for (std::size_t i = 0; i < left.size(); ++i) {
                auto steps = stepsOf(left[i]);
                const auto blocked = static_cast<std::size_t>(std::count_if(
                    steps.begin(), steps.end(), [](const TapeStep& s) { return s.overMarked; }));
                if (!best || blocked < bestBlocked) {
                    best = std::move(steps);
                    bestAt = i;
                    bestBlocked = blocked;
                }
                if (bestBlocked == 0)
                    break;
            }
            take(left[bestAt], std::move(*best));
            left.erase(left.begin() + static_cast<std::ptrdiff_t>(bestAt));
        }
        heights();
        return std::move(out_);
    }

private:
    [[nodiscard]] double fromWalls(Vec2 p) const {
        double least = 1e9;
        for (const Segment& s : edges_)
            least = std::min(least, norm(nearestOn(s, p) - p));
        return least;
    }

    static std::vector<Wanted> pointsOf(const Piece& p, const Placed& at) {
        std::vector<Wanted> out;
        const double w = p.size.width.mm() / 2, d = p.size.depth.mm() / 2;
        const auto add = [&](const char* name, Vec2 local) {
            out.push_back({std::string(told(name)), at.pose.toRoom(local)});
        };
        if (p.rug && !p.rug->outline.empty()) {
            int n = 0;
            for (const Vec2 c : p.rug->outline)
                out.push_back({worded("corner {}", ++n), at.pose.toRoom(c)});
        } else if (p.footprint.form == FootprintForm::oval) {
            add("middle", {0, 0});
            add("back", {0, -d});
            add("right", {w, 0});
            add("front", {0, d});
            add("left", {-w, 0});
        } else if (p.footprint.form == FootprintForm::ell ||
                   p.footprint.form == FootprintForm::octagon) {
            Footprint sharp = p.footprint;
            sharp.corner = {};
            int n = 0;
            for (const Vec2 c : outline(footprintShape(sharp, p.size)))
                out.push_back({worded("corner {}", ++n), at.pose.toRoom(c)});
        } else {
            add("back left", {-w, -d});
            add("back right", {w, -d});
            add("front right", {w, d});
            add("front left", {-w, d});
        }
        return out;
    }

    static double outlineLength(const Piece& p, const std::vector<Wanted>& points) {
        if (p.footprint.form == FootprintForm::oval && !(p.rug && !p.rug->outline.empty()))
            return ellipsePerimeter(p.size.width.mm() / 2, p.size.depth.mm() / 2);
        double all = 0;
        for (std::size_t i = 0; i < points.size(); ++i)
            all += norm(points[(i + 1) % points.size()].at - points[i].at);
        return all;
    }

    /// Whether a tape can't lie there: through a wall, or what is built in.
    [[nodiscard]] bool throughWall(Segment s) const {
        const double length = norm(s.to - s.from);
        if (length < 1)
            return false;
        const Vec2 along = (s.to - s.from) / length, across = quarter(along);
        for (const Segment& e : edges_) {
            const Vec2 in = quarter(unit(e.to - e.from));
            const double a = dot(s.from - e.from, in), b = dot(s.to - e.from, in);
            const double c = dot(e.from - s.from, across), d = dot(e.to - s.from, across);
            if (((a > hairs && b < -hairs) || (a < -hairs && b > hairs)) &&
                ((c > hairs && d < -hairs) || (c < -hairs && d > hairs)))
                return true;
        }
        for (const auto& w : walls_)
            if (inside(w, s) > 2)
                return true;
        for (const double t : {0.1, 0.3, 0.5, 0.7, 0.9}) {
            const Vec2 p = s.from + (s.to - s.from) * t;
            // A room that is open holds nothing, and its floor goes on.
            if (room_.closed && !room_.holds(p) && fromWalls(p) > 2 && !onBuiltIn(p))
                return true;
        }
        return false;
    }
    /// On the face of something built in, where the room holds it no more.
    [[nodiscard]] bool onBuiltIn(Vec2 p) const {
        for (const auto& w : walls_) {
            double least = 1e9;
            for (std::size_t i = 0; i < w.size(); ++i)
                least = std::min(least, norm(nearestOn({w[i], w[(i + 1) % w.size()]}, p) - p));
            if (least <= 2)
                return true;
        }
        return false;
    }
    [[nodiscard]] bool overMarked(Segment s) const {
        return std::any_of(marked_.begin(), marked_.end(),
                           [&](const auto& m) { return inside(m, s) > 2; });
    }

    /// Where the foot of a point on a wall is, when a tape can be held there.
    [[nodiscard]] std::optional<Vec2> footOn(std::size_t wall, Vec2 p) const {
        const Wall& w = room_.walls[wall];
        if (w.rise && abs(*w.rise) > quiet)
            return {};
        const double along = dot(p - w.start, w.along());
        if (along < -hairs || along > w.length().mm() + hairs)
            return {};
        const auto within = [&](Length left, Length width) {
            return along > left.mm() - hairs && along < (left + width).mm() + hairs;
        };
        for (const Opening& o : room_.openings)
            if (o.wall == static_cast<int>(wall) && o.sill < Length::millimetres(100) &&
                within(o.left, o.width))
                return {};
        for (const Recess& r : room_.recesses)
            if (r.wall == static_cast<int>(wall) && within(r.left, r.width))
                return {};
        return w.start + w.along() * along;
    }

    [[nodiscard]] std::vector<Hold> holdsFor(Vec2 p, const std::vector<Mark>& own,
                                             int piece) const {
        std::vector<Hold> out;
        const auto tell = [&](TapeFrom from, Vec2 start, Vec2 way, double more) {
            Hold h;
            const Segment tape{start, p};
            if (throughWall(tape))
                return;
            h.blocked = overMarked(tape);
            h.cost = from.length.mm() + more + (from.length.mm() > longTape ? 20000 : 0);
            h.way = way;
            h.from = std::move(from);
            out.push_back(std::move(h));
        };
        for (std::size_t i = 0; i < room_.walls.size(); ++i)
            if (const auto foot = footOn(i, p)) {
                const Wall& w = room_.walls[i];
                const double off = dot(p - w.start, w.inward());
                if (off < -hairs)
                    continue;
                tell({worded("wall {}", w.name),
                      {},
                      static_cast<int>(i),
                      Length::millimetres(std::max(0.0, off))},
                     *foot, w.inward(), 0);
            }
        const auto point = [&](const Mark& m) {
            const double length = norm(p - m.at);
            if (length < 1)
                return;
            // Of what was marked before an error goes on.
            const double more = m.piece == 0 ? 120 : m.piece == piece ? 600 : 1500;
            tell({m.name, m.at, {}, Length::millimetres(length)}, m.at, (p - m.at) / length, more);
        };
        for (const Mark& m : marks_)
            point(m);
        for (const Mark& m : own)
            point(m);
        std::stable_sort(out.begin(), out.end(), [](const Hold& a, const Hold& b) {
            return std::pair(a.blocked, a.cost) < std::pair(b.blocked, b.cost);
        });
        return out;
    }

    TapeStep stepTo(const Piece& p, const Wanted& point, const std::vector<Mark>& own) const {
        TapeStep s;
        s.piece = p.id;
        s.name = p.name;
        s.corner = point.corner;
        s.at = point.at;
        const auto holds = holdsFor(point.at, own, p.id);
        const double least = std::sin(leastTapeAngle * std::numbers::pi / 180);
        const auto best = [&](std::size_t most, bool overToo) {
            double cost = 1e300;
            bool found = false;
            for (std::size_t i = 0; i < std::min(most, holds.size()); ++i)
                for (std::size_t k = i + 1; k < std::min(most, holds.size()); ++k) {
                    const Hold &a = holds[i], &b = holds[k];
                    if (!overToo && (a.blocked || b.blocked))
                        continue;
                    const double sine = std::abs(cross(a.way, b.way));
                    if (sine < least + 1e-9)
                        continue;
                    // A flat angle lets the point slip; a blocked tape is a last resort.
                    const double c = (a.cost + b.cost + 50) * (1 + 1.5 * (1 / sine - 1)) +
                                     (a.blocked || b.blocked ? 1e6 : 0);
                    if (c < cost) {
                        cost = c;
                        s.from = {a.from, b.from};
                        s.overMarked = a.blocked || b.blocked;
                        found = true;
                    }
                }
            return found;
        };
        if (best(tried, false) || best(holds.size(), false) || best(holds.size(), true))
            return s;
        // In a place no wall is seen from: from two walls, whatever lies between.
        s.overMarked = true;
        std::vector<Hold> any;
        for (const Mark& m : marks_)
            if (const double length = norm(point.at - m.at); length >= 1)
                any.push_back({{m.name, m.at, {}, Length::millimetres(length)},
                               (point.at - m.at) / length,
                               length,
                               true});
        double cost = 1e300;
        for (std::size_t i = 0; i < any.size(); ++i)
            for (std::size_t k = i + 1; k < any.size(); ++k) {
                const double sine = std::abs(cross(any[i].way, any[k].way));
                const double c = (any[i].cost + any[k].cost) / std::max(sine, 1e-6);
                if (c < cost) {
                    cost = c;
                    s.from = {any[i].from, any[k].from};
                }
            }
        return s;
    }

    [[nodiscard]] std::vector<TapeStep> stepsOf(std::size_t k) const {
        const Piece& p = scene_.scheme->pieces[scene_.floor.pieces[k]];
        std::vector<TapeStep> out;
        std::vector<Mark> own;
        for (const Wanted& w : pointsOf(p, scene_.floor.placed[k])) {
            out.push_back(stepTo(p, w, own));
            own.push_back({worded("{}, {}", p.name, w.corner), w.at, p.id});
        }
        return out;
    }

    void take(std::size_t k, std::vector<TapeStep> steps) {
        const Piece& p = scene_.scheme->pieces[scene_.floor.pieces[k]];
        const Placed& at = scene_.floor.placed[k];
        out_.tape += Length::millimetres(outlineLength(p, pointsOf(p, at)));
        for (TapeStep& s : steps) {
            marks_.push_back({worded("{}, {}", s.name, s.corner), s.at, p.id});
            out_.steps.push_back(std::move(s));
        }
        if (!p.kind->flat())
            for (const Convex& c : at.shape.all())
                marked_.push_back(outline(c, Length::millimetres(1)));
    }

    void heights() {
        const auto add = [&](int wall, int piece, std::string what, Length up, Length along) {
            out_.heights.push_back({wall, piece, std::move(what), up, along});
        };
        for (const Opening& o : room_.openings)
            if (o.kind == OpeningKind::window)
                add(o.wall, 0, worded("the sill of {}", o.name()), o.sill, o.left + o.width / 2);
        for (std::size_t k = 0; k < scene_.floor.pieces.size(); ++k) {
            const Piece& p = scene_.scheme->pieces[scene_.floor.pieces[k]];
            if (!p.heights.back || p.on.isCarried() || p.kind->role != Role::sofa)
                continue;
            const Vec2 back = scene_.floor.placed[k].pose.toRoom({0, -p.size.depth.mm() / 2});
            for (std::size_t i = 0; i < room_.walls.size(); ++i)
                if (const auto foot = footOn(i, back); foot && norm(back - *foot) < againstWall) {
                    add(static_cast<int>(i), p.id, worded("the back of {}", p.name),
                        *p.heights.back, distance(room_.walls[i].start, *foot));
                    break;
                }
        }
        for (std::size_t k = 0; k < scene_.walls.pieces.size(); ++k) {
            const Piece& p = scene_.scheme->pieces[scene_.walls.pieces[k]];
            if (p.isGroup() || p.kind->role == Role::curtain)
                continue;
            const Vec2 at = scene_.walls.placed[k].pose.at;
            const Length half = p.size.height / 2, up = Length::millimetres(at.y);
            add(p.wall(), p.id, worded("the foot of {}", p.name), up - half,
                Length::millimetres(at.x));
            add(p.wall(), p.id, worded("the top of {}", p.name), up + half,
                Length::millimetres(at.x));
        }
        std::stable_sort(out_.heights.begin(), out_.heights.end(),
                         [](const TapeHeight& a, const TapeHeight& b) {
                             return std::pair(a.wall, a.along) < std::pair(b.wall, b.along);
                         });
    }

    const Scene& scene_;
    const Room& room_;
    std::vector<Mark> marks_;
    std::vector<Segment> edges_;
    std::vector<std::vector<Vec2>> walls_;  ///< what is built in, as convex outlines
    std::vector<std::vector<Vec2>> marked_; ///< what is marked and is not walked over
    TapeOut out_;
};

} // namespace

TapeOut tapeOut(const Scene& scene, const Notation& shown) {
    return Taping(scene, shown).all();
}

} // namespace mezzet
