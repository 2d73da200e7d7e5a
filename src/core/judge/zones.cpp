#include "judge/zones.h"

#include "judge/rug_facts.h"

#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/at_table.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

double footprintArea(const Piece& p) {
    return std::abs(signedArea(outline(p.shape(), Length::millimetres(1))));
}

double floorTaken(const Scheme& scheme) {
    double taken = 0;
    for (const Piece& p : scheme.pieces)
        if (p.kind->takesFloor())
            taken += footprintArea(p);
    return taken;
}

ZonesFacts zonesOf(const FloorView& scene) {
    ZonesFacts out;
    for (const Zone& z : scene.scheme->zones) {
        ZoneFacts f;
        f.name = z.name;
        std::vector<Vec2> points;
        for (const int id : z.pieces) {
            const Placed* p = scene.byId(id);
            if (p == nullptr)
                continue; // put away in this arrangement
            f.pieces.push_back(id);
            for (const Vec2 c : outline(p->shape, Length::millimetres(1)))
                points.push_back(c);
        }
        f.outline = convexHull(std::move(points));
        f.area = f.outline.size() > 2 ? std::abs(signedArea(f.outline)) : 0;
        for (std::size_t i = 0; i < scene.placed.size(); ++i) {
            const Piece& p = scene.piece(i);
            if (p.kind->flat()) {
                std::size_t on = 0;
                std::size_t standing = 0;
                for (const int id : f.pieces) {
                    const Piece& q = *scene.scheme->byId(id);
                    if (q.kind->flat())
                        continue;
                    ++standing;
                    on += standsOn(scene.byId(id)->shape, p, scene.placed[i]) ? 1 : 0;
                }
                if (standing > 0 && on * 2 > standing)
                    f.heldBy.push_back(p.name);
            }
        }
        Vec2 middle;
        for (const int id : f.pieces)
            middle = middle + scene.byId(id)->pose.at / static_cast<double>(f.pieces.size());
        for (const int id : f.pieces) {
            const Piece& p = *scene.scheme->byId(id);
            const Placed& where = *scene.byId(id);
            if (p.kind->role == Role::sofa && f.pieces.size() > 1 &&
                where.pose.toLocal(middle).y > 0)
                f.heldBy.push_back("the back of " + p.name);
            if (p.kind->role == Role::lamp)
                f.heldBy.push_back("the light of " + p.name);
        }
        out.zones.push_back(std::move(f));
    }
    for (std::size_t a = 0; a < out.zones.size(); ++a) {
        for (std::size_t b = a + 1; b < out.zones.size(); ++b) {
            std::optional<ZoneGap> best;
            for (const int x : out.zones[a].pieces) {
                for (const int y : out.zones[b].pieces) {
                    if (x == y || scene.scheme->byId(x)->kind->flat() ||
                        scene.scheme->byId(y)->kind->flat())
                        continue;
                    const Gap g = gapBetween(scene.byId(x)->shape, scene.byId(y)->shape);
                    if (!best || g.apart < best->apart)
                        best = ZoneGap{a, b, g.apart, g.onFirst, g.onSecond};
                }
            }
            if (best)
                out.gaps.push_back(*best);
        }
    }
    return out;
}

Balance balanceOf(const FloorView& scene) {
    Balance out;
    const Vec2 middle = scene.room->bounds().centre();
    double area = 0;
    double weight = 0;
    for (std::size_t i = 0; i < scene.placed.size(); ++i) {
        const Piece& p = scene.piece(i);
        if (!p.kind->takesFloor())
            continue;
        // Cut into small squares, so that a piece over the middle counts on both sides.
        const auto edge = outline(scene.placed[i].shape, Length::millimetres(5));
        const double whole = std::abs(signedArea(edge));
        const Box box = bounds(scene.placed[i].shape);
        constexpr int cuts = 24;
        std::array<int, 4> inside{};
        int all = 0;
        for (int y = 0; y < cuts; ++y)
            for (int x = 0; x < cuts; ++x) {
                const Vec2 c{box.low.x + box.size().x * (x + 0.5) / cuts,
                             box.low.y + box.size().y * (y + 0.5) / cuts};
                if (!insideOutline(edge, c))
                    continue;
                ++all;
                const bool right = c.x >= middle.x;
                const bool low = c.y >= middle.y;
                ++inside[low ? (right ? 2 : 3) : (right ? 1 : 0)];
            }
        for (std::size_t q = 0; q < 4 && all > 0; ++q) {
            const double part = whole * inside[q] / all;
            out.footprint[q] += part;
            out.weight[q] += part * p.size.height.mm();
            area += part;
            weight += part * p.size.height.mm();
        }
    }
    for (std::size_t q = 0; q < 4 && area > 0; ++q) {
        out.footprint[q] /= area;
        out.weight[q] /= weight;
    }
    return out;
}

} // namespace mezzet
