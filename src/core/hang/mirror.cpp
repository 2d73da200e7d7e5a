#include "hang/mirror.h"

#include "hang/hooks.h"

#include "sight/view.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Something upright that can be met: its plan outline from its foot to its top.
struct Prism {
    Convex plan;
    Vec2 centre;
    double reach = 0;
    double low = 0;
    double high = 0;
    Target what;
    int on = -1; ///< stands on the prism of this number
    int id = 0;  ///< of the piece, or 0
};

std::vector<Prism> prismsOf(const WallsView& scene) {
    std::vector<Prism> out;
    const auto add = [&](const Shape& s, double low, double high, const Target& what) {
        for (const Convex& c : s.all())
            out.push_back({c, insideOf(c), reachOf(c), low, high, what, -1,
                           what.is == Target::Is::piece ? what.piece : 0});
    };
    for (std::size_t i = 0; i < scene.floor.placed.size(); ++i) {
        const double base = baseOf(scene, i).mm();
        add(scene.floor.placed[i].shape, base, base + scene.floor.piece(i).size.height.mm(),
            pieceTarget(scene.floor.placed[i].id));
    }
    const std::size_t floor = out.size();
    for (std::size_t i = 0; i < floor; ++i)
        for (std::size_t k = 0; k < floor; ++k)
            if (i != k && out[i].low > 1 && out[k].low < 1 &&
                norm(out[i].centre - out[k].centre) < out[k].reach + out[i].reach)
                out[i].on = static_cast<int>(k);
    for (const Fixture& f : scene.room->fixtures)
        if (f.takesFloor())
            add(solid(*scene.room, f), f.up.mm(),
                f.toCeiling ? scene.room->ceiling.mm() : (f.up + f.height).mm(), targetOf(f));
    for (std::size_t i = 0; i < scene.hung.size(); ++i) {
        const Piece& p = scene.hungPiece(i);
        if (p.isGroup())
            continue;
        const Box b = bounds(scene.hung[i].shape);
        const Wall& w = scene.room->walls[static_cast<std::size_t>(p.wall())];
        const Length face = faceOut(*scene.room, p.wall(), b.low.x, b.high.x);
        const auto stretchOf = [&](double left, double right) {
            const std::array<Vec2, 4> corners{offWall(w, left, face), offWall(w, right, face),
                                              offWall(w, right, face + p.size.depth),
                                              offWall(w, left, face + p.size.depth)};
            add(convexPolygon(corners), b.low.y, b.high.y, pieceTarget(p.id));
        };
        if (p.kind->draw == "curtains") {
            // Drawn back by day, the window is seen between them.
            stretchOf(b.low.x, b.low.x + stackBack(p).mm());
            stretchOf(b.high.x - stackBack(p).mm(), b.high.x);
        } else {
            stretchOf(b.low.x, b.high.x);
        }
    }
    return out;
}

/// Stretches of slope, in order, not yet told to be something.
class Open {
public:
    Open(double low, double high) { left_.push_back({low, high}); }
    [[nodiscard]] bool empty() const { return left_.empty(); }
    /// Takes what lies in [low, high] out, and tells each part taken.
    template <class Each> void take(double low, double high, Each each) {
        std::vector<std::pair<double, double>> next;
        for (const auto& [l, h] : left_) {
            const double a = std::max(l, low);
            const double b = std::min(h, high);
            if (a >= b) {
                next.emplace_back(l, h);
                continue;
            }
            each(a, b);
            if (a > l)
                next.emplace_back(l, a);
            if (b < h)
                next.emplace_back(b, h);
        }
        left_ = std::move(next);
    }

private:
    std::vector<std::pair<double, double>> left_;
};

struct Meeting {
    double near = 0;
    double far = 0;
    double order = 0;
    const Prism* what = nullptr;
};

/// What a ray in plan meets between two distances, nearest first.
void meet(Vec2 from, Vec2 way, double least, double most, const std::vector<Prism>& all, int but,
          std::vector<Meeting>& out) {
    out.clear();
    for (const Prism& p : all) {
        if (p.id == but && but != 0)
            continue;
        const Vec2 to = p.centre - from;
        if (std::abs(cross(way, to)) > p.reach || dot(way, to) + p.reach < least)
            continue;
        const double near = along(from, way, p.plan);
        if (near < 0 || near > most)
            continue;
        const double length = dot(way, to) + p.reach + 10;
        const double back = along(from + way * length, -way, p.plan);
        const double far = back < 0 ? near : length - back;
        if (far < least)
            continue;
        out.push_back({std::max(near, least), std::min(far, most), std::max(near, least), &p});
    }
    for (Meeting& m : out)
        if (m.what->on >= 0)
            for (const Meeting& under : out)
                if (under.what == &all[static_cast<std::size_t>(m.what->on)])
                    m.order = std::min(m.order, under.near) - 1e-3;
    std::sort(out.begin(), out.end(),
              [](const Meeting& a, const Meeting& b) { return a.order < b.order; });
}

/// The slopes at which an upright thing is seen from a height.
std::pair<double, double> slopes(const Meeting& m, double eye) {
    const double near = std::max(m.near, 1.0);
    const double far = std::max(m.far, near);
    const double low = m.what->low - eye;
    const double high = m.what->high - eye;
    return {std::min(low / near, low / far), std::max(high / near, high / far)};
}

/// Where a shape's outline is met by the upright line at `x`: low and high.
std::optional<std::pair<double, double>> chord(const std::vector<Vec2>& ring, double x) {
    double low = 1e300;
    double high = -1e300;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const Vec2 a = ring[i];
        const Vec2 b = ring[(i + 1) % ring.size()];
        if ((a.x <= x) == (b.x <= x))
            continue;
        const double y = a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x);
        low = std::min(low, y);
        high = std::max(high, y);
    }
    if (low >= high)
        return {};
    return std::pair{low, high};
}

struct WallHit {
    double far = 1e300;
    int wall = -1;
    double along = 0; ///< mm on that wall
};

WallHit hitWall(const Room& room, Vec2 from, Vec2 way, double least) {
    WallHit out;
    for (std::size_t i = 0; i < room.stretches(); ++i) {
        const Wall w = room.stretchAt(i);
        const Vec2 d = w.end - w.start;
        const double det = cross(way, d);
        // Walls are met from inside only.
        if (std::abs(det) < 1e-9 || dot(way, w.inward()) >= 0)
            continue;
        const Vec2 to = w.start - from;
        const double t = cross(to, d) / det;
        const double u = cross(to, way) / det;
        if (t < least || u < -1e-9 || u > 1 + 1e-9 || t >= out.far)
            continue;
        out.far = t;
        out.wall = room.edgeWall.empty() ? static_cast<int>(i) : room.edgeWall[i];
        const Wall& whole = room.walls[static_cast<std::size_t>(out.wall)];
        out.along = dot(from + way * t - whole.start, whole.along());
    }
    return out;
}

Target floorTarget() {
    return roomTarget();
}
Target ceilingTarget() {
    Target t;
    t.is = Target::Is::ceiling;
    return t;
}

} // namespace

Length seatedEye(Length cushion, Length stature) {
    return cushion + stature * 0.46;
}

Length standingEye(Length stature) {
    return stature * 0.936;
}

struct Reflections::Things {
    std::vector<Prism> prisms;
};

Reflections::Reflections(const WallsView& scene)
    : scene_(scene), things_(std::make_unique<Things>(Things{prismsOf(scene)})) {}
Reflections::~Reflections() = default;

MirrorView mirrorShows(const WallsView& scene, std::size_t mirror, const Looker& looker, int strips,
                       std::vector<MirrorStrip>* parts) {
    return Reflections(scene).of(mirror, looker, strips, parts);
}

MirrorView Reflections::of(std::size_t mirror, const Looker& looker, int strips,
                           std::vector<MirrorStrip>* parts) const {
    const WallsView& scene = scene_;
    MirrorView out;
    out.looker = looker;
    const Piece& p = scene.hungPiece(mirror);
    const Room& room = *scene.room;
    const Wall& wall = room.walls[static_cast<std::size_t>(p.wall())];
    const Box b = bounds(scene.hung[mirror].shape);
    const Length face = faceOut(room, p.wall(), b.low.x, b.high.x) + p.size.depth;
    const double before = dot(looker.at - wall.start, wall.inward()) - face.mm();
    if (before < 1)
        return out;
    out.seen = true;
    // The looker, reflected: as far behind the face as they are before it.
    const Vec2 behind = looker.at - wall.inward() * (2 * before);
    const double eye = looker.eye.mm();
    const auto ring = outline(scene.hung[mirror].shape, Length::millimetres(0.5));
    const auto& prisms = things_->prisms;
    const double own = dot(looker.at - wall.start, wall.along());
    const auto at = chord(ring, own);
    out.self = at && eye > at->first && eye < at->second;
    double total = 0;
    std::vector<MirrorStrip> found;
    std::vector<Meeting> met;
    const double width = (b.high.x - b.low.x) / strips;
    for (int i = 0; i < strips; ++i) {
        const double from = b.low.x + width * i;
        const double s = from + width / 2;
        const auto span = chord(ring, s);
        if (!span)
            continue;
        total += (span->second - span->first) * width;
        const Vec2 glass = offWall(wall, s, face);
        const double reach = norm(glass - behind);
        Open open((span->first - eye) / reach, (span->second - eye) / reach);
        const auto tell = [&](const Target& what, bool hidden) {
            return [&, what, hidden](double low, double high) {
                found.push_back(
                    {from, from + width, eye + low * reach, eye + high * reach, what, hidden});
            };
        };
        // From the looker to the glass, then on from the glass as the reflected looker sees it.
        // The seat they sit in hides nothing.
        meet(looker.at, unit(glass - looker.at), 1, reach - 1, prisms, p.id, met);
        for (const Meeting& m : met) {
            if (m.what->what == looker.from || open.empty())
                continue;
            const auto [low, high] = slopes(m, eye);
            open.take(low, high, tell(m.what->what, true));
        }
        const Vec2 way = unit(glass - behind);
        const WallHit hit = hitWall(room, behind, way, reach + 1);
        meet(behind, way, reach + 1, hit.far + 1, prisms, p.id, met);
        for (const Meeting& m : met) {
            if (open.empty())
                break;
            const auto [low, high] = slopes(m, eye);
            open.take(low, high, tell(m.what->what, false));
        }
        if (open.empty())
            continue;
        const double far = std::min(hit.far, 1e7);
        open.take(-1e9, -eye / far, tell(floorTarget(), false));
        const double top =
            hit.wall >= 0 ? ceilingOver(room, hit.wall, hit.along) : room.ceiling.mm();
        open.take((top - eye) / far, 1e9, tell(ceilingTarget(), false));
        if (hit.wall < 0)
            continue;
        for (const Opening& o : room.openings)
            if (o.wall == hit.wall && hit.along >= o.left.mm() &&
                hit.along <= (o.left + o.width).mm())
                open.take((o.sill.mm() - eye) / far, (o.head().mm() - eye) / far,
                          tell(targetOf(o), false));
        open.take(-1e9, 1e9, tell(wallTarget(hit.wall), false));
    }
    for (const MirrorStrip& f : found) {
        const double share = (f.high - f.low) * (f.to - f.from) / std::max(total, 1e-9);
        if (f.hidden) {
            out.hidden += share;
            continue;
        }
        const auto it = std::find_if(out.items.begin(), out.items.end(),
                                     [&](const MirrorItem& x) { return x.what == f.what; });
        if (it == out.items.end())
            out.items.push_back({f.what, share});
        else
            it->share += share;
    }
    std::stable_sort(out.items.begin(), out.items.end(),
                     [](const MirrorItem& x, const MirrorItem& y) { return x.share > y.share; });
    if (parts != nullptr)
        parts->insert(parts->end(), found.begin(), found.end());
    return out;
}

std::vector<Looker> lookersOf(const WallsView& scene, Length stature) {
    std::vector<Looker> out;
    for (std::size_t i = 0; i < scene.floor.placed.size(); ++i) {
        const Piece& p = scene.floor.piece(i);
        if (p.kind->role != Role::sofa && p.kind->role != Role::armchair)
            continue;
        const Length cushion = p.heights.seat.value_or(Length::inches(18));
        // The head is over the middle of the seat, a little to its back.
        out.push_back({scene.floor.placed[i].pose.toRoom({0, -p.size.depth.mm() / 8}),
                       seatedEye(cushion, stature), pieceTarget(p.id)});
    }
    for (const Opening& o : scene.room->openings) {
        if (o.kind == OpeningKind::window)
            continue;
        const Wall& w = scene.room->walls[static_cast<std::size_t>(o.wall)];
        out.push_back({middleOf(*scene.room, o) + w.inward() * Length::inches(6).mm(),
                       standingEye(stature), targetOf(o)});
    }
    return out;
}

std::optional<Box> shownOn(const WallsView& scene, int wall, Length out, const Looker& looker,
                           const Target& thing) {
    const Room& room = *scene.room;
    const Wall& w = room.walls[static_cast<std::size_t>(wall)];
    const auto off = [&](Vec2 p) { return dot(p - w.start, w.inward()) - out.mm(); };
    const double near = off(looker.at);
    if (near <= 1)
        return {};
    std::vector<Vec2> plan;
    double low = 0;
    double high = 0;
    for (const Prism& p : prismsOf(scene))
        if (p.what == thing) {
            const auto ring = outline(p.plan, Length::millimetres(0.5));
            plan.insert(plan.end(), ring.begin(), ring.end());
            low = p.low;
            high = p.high;
        }
    for (const Opening& o : room.openings)
        if (targetOf(o) == thing) {
            const Wall& own = room.walls[static_cast<std::size_t>(o.wall)];
            plan = {own.at(o.left), own.at(o.left + o.width)};
            low = o.sill.mm();
            high = o.head().mm();
        }
    Box box;
    for (const Vec2 c : plan) {
        const double far = off(c);
        if (far <= 1)
            return {};
        // On the glass the way is parted as the two distances from it.
        const double share = near / (near + far);
        const double s =
            dot(looker.at - w.start, w.along()) * (1 - share) + dot(c - w.start, w.along()) * share;
        for (const double z : {low, high})
            box.include(Vec2{s, looker.eye.mm() * (1 - share) + z * share});
    }
    if (box.empty())
        return {};
    return box;
}

} // namespace mezzet
