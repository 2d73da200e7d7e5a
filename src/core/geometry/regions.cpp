#include "geometry/regions.h"

#include "geometry/geos.h"
#include "geometry/polygon.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

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

/// A polygon that crosses itself nowhere; null for any other.
GEOSGeometry* simple(Geos& geos, const std::vector<Vec2>& corners) {
    GEOSGeometry* p = geos.polygon(corners);
    return p != nullptr && GEOSisValid_r(geos.context(), p) == 1 ? p : nullptr;
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
        r.edge = tidied(geos.cornersOf(GEOSGetExteriorRing_r(geos.context(), one)));
        for (int k = 0; k < GEOSGetNumInteriorRings_r(geos.context(), one); ++k)
            r.holes.push_back(
                tidied(geos.cornersOf(GEOSGetInteriorRingN_r(geos.context(), one, k))));
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
    GEOSGeometry* left = simple(geos, outline);
    if (left == nullptr)
        return {};
    std::vector<GEOSGeometry*> parts;
    for (const auto& t : taken)
        if (GEOSGeometry* p = simple(geos, t))
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

std::vector<Region> grown(const std::vector<Vec2>& outline, double by) {
    Geos geos;
    const GEOSGeometry* p = simple(geos, outline);
    if (p == nullptr)
        return {};
    constexpr int fine = 16;
    constexpr double sharp = 20; // how far a corner may reach, in growths
    return regionsOf(geos,
                     geos.own(GEOSBufferWithStyle_r(geos.context(), p, by, fine, GEOSBUF_CAP_FLAT,
                                                    GEOSBUF_JOIN_MITRE, sharp)));
}

} // namespace mezzet
