#include "solid/solids.h"

#include "geometry/polygon.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

constexpr double curves = 4; ///< mm, how far a chord may be off its curve

/// Where a flat drawing is in the room.
struct Plane {
    Vec3 origin;
    Vec3 u;
    Vec3 v;
    [[nodiscard]] Vec3 at(Vec2 p) const { return origin + u * p.x + v * p.y; }
};

void addFace(Solids& to, Made made, int of, Vec3 normal, const Plane& plane,
             const std::vector<Vec2>& ring) {
    Face f{made, of, normal, {}};
    for (const auto& t : trianglesOf(ring))
        f.triangles.push_back({plane.at(t[0]), plane.at(t[1]), plane.at(t[2])});
    if (!f.triangles.empty())
        to.faces.push_back(std::move(f));
}

/// Its two ends and its sides.
void addPrism(Solids& to, Made made, int of, const Prism& p, Vec3 foot, Vec3 u, Vec3 v, Vec3 w) {
    const Plane low{foot + w * p.from, u, v};
    const Plane high{foot + w * p.to, u, v};
    addFace(to, made, of, w * -1, low, p.base);
    addFace(to, made, of, w, high, p.base);
    const double way = signedArea(p.base) > 0 ? 1 : -1;
    const double tall = p.to - p.from;
    // Which way is out of a side, whatever the hand of the frame.
    for (std::size_t i = 0; i < p.base.size(); ++i) {
        const Vec2 a = p.base[i];
        const Vec2 b = p.base[(i + 1) % p.base.size()];
        const double wide = norm(b - a);
        if (wide < 1e-9)
            continue;
        const Vec2 along = (b - a) / wide;
        const Vec2 out = quarter(along) * -way;
        addFace(to, made, of, u * out.x + v * out.y, {low.at(a), u * along.x + v * along.y, w},
                {{0, 0}, {wide, 0}, {wide, tall}, {0, tall}});
    }
}

class RoomBuilder {
public:
    RoomBuilder(const Room& room, Solids& out) : room_(room), out_(out) {}

    void build() {
        floorAndCeiling();
        for (std::size_t i = 0; i < room_.stretches(); ++i)
            wall(i);
        for (const Fixture& f : room_.fixtures)
            if (f.takesFloor() || f.isBreast())
                fixture(f);
    }

private:
    [[nodiscard]] bool flat() const {
        return room_.slopes.empty() && room_.beams.empty() && !room_.tray;
    }
    void floorAndCeiling() {
        // What is not level is followed by small flat pieces.
        constexpr double small = 200; // mm
        const bool levelFloor = room_.steps.empty();
        Face floor{Made::floor, 0, {0, 0, 1}, {}};
        Face ceiling{Made::ceiling, 0, {0, 0, -1}, {}};
        for (const auto& t : trianglesOf(room_.edge)) {
            std::vector<std::array<Vec2, 3>> parts;
            cutInHalves(t, flat() && levelFloor ? 1e9 : small, parts);
            for (const auto& p : parts) {
                const Vec2 middle = (p[0] + p[1] + p[2]) / 3;
                std::array<Vec3, 3> low;
                std::array<Vec3, 3> high;
                const double z = room_.levelAt(middle).mm();
                for (std::size_t i = 0; i < 3; ++i) {
                    low[i] = lifted(p[i], z);
                    // Just inside, so that what is beyond an edge isn't met.
                    high[i] = lifted(p[i], room_.ceilingAt(p[i] + (middle - p[i]) * 0.01).mm());
                }
                floor.triangles.push_back(low);
                ceiling.triangles.push_back(high);
            }
        }
        out_.faces.push_back(std::move(floor));
        out_.faces.push_back(std::move(ceiling));
    }
    /// The ceiling over a stretch of the edge.
    [[nodiscard]] double topAt(const Wall& s, double along) const {
        return room_.ceilingAt(s.start + s.along() * along + s.inward()).mm();
    }
    void wall(std::size_t stretch) {
        const Wall s = room_.stretchAt(stretch);
        const double length = s.length().mm();
        const int index = room_.edgeWall[stretch];
        struct Hole {
            const Opening* o;
            double left, right, low, high;
        };
        std::vector<Hole> holes;
        std::vector<double> cuts{0, length};
        for (const Opening* o : openingsAlong(room_, stretch)) {
            const double middle = dot(middleOf(room_, *o) - s.start, s.along());
            const double half = o->width.mm() / 2;
            const double floor = room_.levelAt(s.start + s.along() * middle + s.inward()).mm();
            holes.push_back({o, std::max(middle - half, 0.0), std::min(middle + half, length),
                             floor + o->sill.mm(), floor + o->head().mm()});
            cuts.push_back(holes.back().left);
            cuts.push_back(holes.back().right);
        }
        if (!flat() || !room_.steps.empty())
            for (double x = 200; x < length; x += 200)
                cuts.push_back(x);
        std::sort(cuts.begin(), cuts.end());
        const Vec3 in = lifted(s.inward(), 0);
        const Plane plane{lifted(s.start, 0), lifted(s.along(), 0), {0, 0, 1}};
        const auto strip = [&](Made made, double l, double r, double low, double highL,
                               double highR) {
            if (r - l > 1e-6 && std::max(highL, highR) > low + 1e-6)
                addFace(out_, made, index, in, plane, {{l, low}, {r, low}, {r, highR}, {l, highL}});
        };
        for (std::size_t i = 0; i + 1 < cuts.size(); ++i) {
            const double l = cuts[i];
            const double r = cuts[i + 1];
            if (r - l < 1e-6)
                continue;
            const double floor =
                room_.levelAt(s.start + s.along() * ((l + r) / 2) + s.inward()).mm();
            const double topL = topAt(s, l + 1e-3);
            const double topR = topAt(s, r - 1e-3);
            std::vector<const Hole*> here;
            for (const Hole& h : holes)
                if (h.left < r - 1e-6 && h.right > l + 1e-6)
                    here.push_back(&h);
            std::sort(here.begin(), here.end(),
                      [](const Hole* a, const Hole* b) { return a->low < b->low; });
            double from = floor;
            for (const Hole* h : here) {
                strip(Made::wall, l, r, from, std::min(h->low, topL), std::min(h->low, topR));
                if (h->o->kind != OpeningKind::opening)
                    strip(h->o->kind == OpeningKind::window ? Made::glass : Made::door, l, r,
                          std::max(h->low, from), std::min(h->high, topL), std::min(h->high, topR));
                from = std::max(from, h->high);
            }
            strip(Made::wall, l, r, from, topL, topR);
        }
    }
    void fixture(const Fixture& f) {
        const Shape shape = solid(room_, f);
        for (const Convex& part : shape.all()) {
            const auto ring = outline(part, Length::millimetres(curves));
            const Vec2 middle = centroid(ring);
            const double from = room_.levelAt(middle).mm() + f.up.mm();
            const double top = room_.ceilingAt(middle).mm();
            const bool toTop =
                f.toCeiling || f.isBreast() || f.kind == FixtureKind::column || f.height.mm() <= 0;
            addPrism(out_, Made::builtIn, 0,
                     {ring, from, toTop ? top : std::min(from + f.height.mm(), top)}, {}, {1, 0, 0},
                     {0, 1, 0}, {0, 0, 1});
        }
    }

    const Room& room_;
    Solids& out_;
};

} // namespace

Solids solidsOf(const Scene& scene) {
    Solids out;
    RoomBuilder(*scene.room, out).build();
    for (const Piece& p : scene.scheme->pieces) {
        if (p.kind->flat() || p.kind->family == Family::light || p.isGroup() || p.on.isCeiling())
            continue;
        const auto body = bodyOf(scene, p.id);
        if (!body)
            continue;
        const bool hangs = p.onWall();
        const Vec3 up{0, 0, 1};
        // Turned in its wall's plane, or about the upright.
        Vec3 right = body->right;
        Vec3 rise = up;
        Vec3 foot = body->foot;
        if (hangs) {
            const Placed& where = *scene.byId(p.id);
            const Pose drawnThere = drawn(p.on, where.pose);
            const Vec2 r = drawnThere.right();
            const Wall& w = scene.room->walls[static_cast<std::size_t>(p.wall())];
            const Vec3 along = lifted(w.along(), 0);
            right = along * r.x + up * r.y;
            rise = along * -r.y + up * r.x;
            // From the foot of its box to its middle.
            foot = foot + up * (where.pose.at.y - bounds(where.shape).low.y);
        }
        for (const Prism& part : partsOf(p))
            if (hangs)
                addPrism(out, Made::piece, p.id, part, foot, right, rise, body->front);
            else
                addPrism(out, Made::piece, p.id, part, foot, right, body->front, up);
    }
    return out;
}

} // namespace mezzet
