#pragma once

#include "geometry/vec.h"

#include <geos_c.h>

#include <vector>

namespace mezzet {

/// A GEOS context and all that was made in it, let go together. For the insides of what uses GEOS.
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

    [[nodiscard]] GEOSContextHandle_t context() const { return context_; }
    /// The same, kept until the end; null stays null.
    GEOSGeometry* own(GEOSGeometry* g) {
        if (g != nullptr)
            made_.push_back(g);
        return g;
    }
    /// A polygon of corners, which may cross; null for fewer than three.
    GEOSGeometry* polygon(const std::vector<Vec2>& corners) {
        if (corners.size() < 3)
            return nullptr;
        const auto n = static_cast<unsigned>(corners.size());
        GEOSCoordSequence* s = GEOSCoordSeq_create_r(context_, n + 1, 2);
        for (unsigned i = 0; i <= n; ++i)
            GEOSCoordSeq_setXY_r(context_, s, i, corners[i % n].x, corners[i % n].y);
        return own(GEOSGeom_createPolygon_r(context_, GEOSGeom_createLinearRing_r(context_, s),
                                            nullptr, 0));
    }
    /// The corners of a ring, each once.
    [[nodiscard]] std::vector<Vec2> cornersOf(const GEOSGeometry* ring) const {
        const GEOSCoordSequence* s = GEOSGeom_getCoordSeq_r(context_, ring);
        unsigned count = 0;
        GEOSCoordSeq_getSize_r(context_, s, &count);
        std::vector<Vec2> out;
        for (unsigned i = 0; i + 1 < count; ++i) {
            Vec2 p;
            GEOSCoordSeq_getXY_r(context_, s, i, &p.x, &p.y);
            out.push_back(p);
        }
        return out;
    }

private:
    GEOSContextHandle_t context_;
    std::vector<GEOSGeometry*> made_;
};

} // namespace mezzet
