// Areas and edges of outlines against GEOS.
#include "scheme/rug.h"

#include "jobs.h"

#include <geos_c.h>

#include <numbers>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

TEST(RugOutlines, HaveTheAreaAndTheEdgeThatGeosFinds) { // GEOS, GEOSArea and GEOSLength
    GEOSContextHandle_t geos = GEOS_init_r();
    std::mt19937 random(21);
    const auto within = [&](double low, double high) {
        return low + (high - low) * (random() % 100000) / 100000.0;
    };
    for (int round = 0; round < 400; ++round) {
        // A star about a middle never crosses itself.
        const int n = 3 + static_cast<int>(random() % 12);
        std::vector<Vec2> corners;
        for (int i = 0; i < n; ++i) {
            const double a = 2 * std::numbers::pi * (i + within(0.05, 0.9)) / n;
            const double r = within(400, 2500);
            corners.push_back(Vec2{3000 + std::cos(a) * r, 2600 + std::sin(a) * r});
        }
        Piece p = pieceOf(library().kit->byId("rug"));
        if (giveCorners(p, corners))
            continue; // its corners lie in a line
        auto* s = GEOSCoordSeq_create_r(geos, static_cast<unsigned>(n) + 1, 2);
        for (unsigned i = 0; i <= static_cast<unsigned>(n); ++i)
            GEOSCoordSeq_setXY_r(geos, s, i, corners[i % static_cast<unsigned>(n)].x,
                                 corners[i % static_cast<unsigned>(n)].y);
        auto* polygon =
            GEOSGeom_createPolygon_r(geos, GEOSGeom_createLinearRing_r(geos, s), nullptr, 0);
        double area = 0;
        double length = 0;
        GEOSArea_r(geos, polygon, &area);
        GEOSLength_r(geos, polygon, &length);
        EXPECT_NEAR(areaOf(p), area, area * 1e-9);
        EXPECT_NEAR(perimeterOf(p).mm(), length, 1e-6);
        GEOSGeom_destroy_r(geos, polygon);
    }
    GEOS_finish_r(geos);
}

TEST(RugOutlines, OfARoundRugAreExact) {
    const auto job = jobWith({"round rug 96 called Ground at 120, 90"});
    const Piece& p = *job.scheme().byName("Ground");
    EXPECT_NEAR(areaOf(p), std::numbers::pi * 48 * 48 * 25.4 * 25.4, 1);
    EXPECT_NEAR(perimeterOf(p).mm(), 2 * std::numbers::pi * 48 * 25.4, 1e-6);
}
