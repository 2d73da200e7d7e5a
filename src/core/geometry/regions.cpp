#include "geometry/regions.h"

#include "geometry/polygon.h"

#include <geos_c.h>

#include <algorithm>
#include <cmath>
#include <memory>

namespace mezzet {

namespace {

/// One context and all that was made in it.
class Geos {
public:
    Geos() : context_(GEOS_init_r()) {}
    ~Geos() {
        for (GEOSGeometry* g : made_)
            GEOSGeom_destroy_r(context_, g);
        GEOS_finish_r(context_);
    }
    Geos(const Geos&) = delete;
    Geos& operator=(const Geos&) = delete;

    GEOSGeometry* own(GEOSGeometry* g) {
        if (g != nullptr)
            made_.push_back(g);
        return g;
    }
    [[nodiscard]] GEOSContextHandle_t context() const { return context_; }

    /// Null for what has no area, or crosses itself.
    GEOSGeometry* polygon(const std::vector<Vec2>& outline) {
        if (outline.size() < 3)
            return nullptr;
        const auto n = static_cast<unsigned>(outline.size());
        GEOSCoordSequence* s = GEOSCoordSeq_create_r(context_, n + 1, 2);
        for (unsigned i = 0; i <= n; ++i)
            GEOSCoordSeq_setXY_r(context_, s, i, outline[i % n].x, outline[i % n].y);
        GEOSGeometry* ring = GEOSGeom_createLinearRing_r(context_, s);
        if (ring == nullptr)
            return nullptr;
        GEOSGeometry* p = own(GEOSGeom_createPolygon_r(context_, ring, nullptr, 0));
        return p != nullptr && GEOSisValid_r(context_, p) == 1 ? p : nullptr;
    }

private:
    GEOSContextHandle_t context_;
    std::vector<GEOSGeometry*> made_;
};

constexpr double grid = 0.001; // mm

/// Without corners that make none, clockwise as drawn.
std::vector<Vec2> tidied(std::vector<Vec2> ring) {
    constexpr double straight = 0.01; // mm
    bool changed = true;
    while (changed && ring.size() > 3) {
        changed = false;
        for (std::size_t i = 0; i < ring.size() && ring.size() > 3; ++i) {
            const Vec2 a = ring[(i + ring.size() - 1) % ring.size()];
            const Vec2 b = ring[i];
            const Vec2 c = ring[(i + 1) % ring.size()];
            const double base = norm(c - a);
            const double off = base > 1e-9 ? std::abs(cross(c - a, b - a)) / base : norm(b - a);
            if (off < straight) {
                ring.erase(ring.begin() + static_cast<std::ptrdiff_t>(i));
                changed = true;
                break;
            }
        }
    }
    if (signedArea(ring) < 0)
        std::reverse(ring.begin(), ring.end());
    return ring;
}

std::vector<Vec2> ringOf(const Geos& geos, const GEOSGeometry* ring) {
    std::vector<Vec2> out;
    const auto* s = GEOSGeom_getCoordSeq_r(geos.context(), ring);
    unsigned n = 0;
    GEOSCoordSeq_getSize_r(geos.context(), s, &n);
    for (unsigned i = 0; i + 1 < n; ++i) {
        Vec2 p;
        GEOSCoordSeq_getXY_r(geos.context(), s, i, &p.x, &p.y);
        out.push_back(p);
    }
    return tidied(std::move(out));
}

std::vector<Region> regionsOf(const Geos& geos, const GEOSGeometry* g) {
    std::vector<Region> out;
    const int n = g != nullptr ? GEOSGetNumGeometries_r(geos.context(), g) : 0;
    for (int i = 0; i < n; ++i) {
        const auto* one = GEOSGetGeometryN_r(geos.context(), g, i);
        if (GEOSGeomTypeId_r(geos.context(), one) != GEOS_POLYGON ||
            GEOSisEmpty_r(geos.context(), one) == 1)
            continue;
        Region r;
        r.edge = ringOf(geos, GEOSGetExteriorRing_r(geos.context(), one));
        for (int k = 0; k < GEOSGetNumInteriorRings_r(geos.context(), one); ++k)
            r.holes.push_back(ringOf(geos, GEOSGetInteriorRingN_r(geos.context(), one, k)));
        if (r.edge.size() >= 3 && signedArea(r.edge) > 1)
            out.push_back(std::move(r));
    }
    std::stable_sort(out.begin(), out.end(), [](const Region& a, const Region& b) {
        return signedArea(a.edge) > signedArea(b.edge);
    });
    return out;
}

} // namespace

std::vector<Region> without(const std::vector<Vec2>& outline,
                            const std::vector<std::vector<Vec2>>& taken) {
    Geos geos;
    GEOSGeometry* left = geos.polygon(outline);
    if (left == nullptr)
        return {};
    std::vector<GEOSGeometry*> parts;
    for (const auto& t : taken)
        if (GEOSGeometry* p = geos.polygon(t))
            parts.push_back(GEOSGeom_clone_r(geos.context(), p));
    if (!parts.empty()) {
        auto* all = geos.own(GEOSGeom_createCollection_r(
            geos.context(), GEOS_MULTIPOLYGON, parts.data(), static_cast<unsigned>(parts.size())));
        auto* one = geos.own(GEOSUnaryUnionPrec_r(geos.context(), all, grid));
        left = one != nullptr ? geos.own(GEOSDifferencePrec_r(geos.context(), left, one, grid))
                              : nullptr;
    }
    return regionsOf(geos, left);
}

std::vector<Region> common(const std::vector<Vec2>& outline, const std::vector<Vec2>& other) {
    Geos geos;
    const GEOSGeometry* a = geos.polygon(outline);
    const GEOSGeometry* b = geos.polygon(other);
    if (a == nullptr || b == nullptr)
        return {};
    return regionsOf(geos, geos.own(GEOSIntersectionPrec_r(geos.context(), a, b, grid)));
}

std::vector<Region> grown(const std::vector<Vec2>& outline, double by) {
    Geos geos;
    const GEOSGeometry* p = geos.polygon(outline);
    if (p == nullptr)
        return {};
    constexpr int fine = 16;
    constexpr double sharp = 20; // how far a corner may reach, in growths
    return regionsOf(geos,
                     geos.own(GEOSBufferWithStyle_r(geos.context(), p, by, fine, GEOSBUF_CAP_FLAT,
                                                    GEOSBUF_JOIN_MITRE, sharp)));
}

} // namespace mezzet
