// Gaps against GEOS (libgeos.org), the reference library for distances between polygons.
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "rounds.h"

#include <geos_c.h>
#include <gtest/gtest.h>

#include <cstdarg>
#include <random>

using namespace mezzet;

namespace {

void quietly(const char*, ...) {}

class Geos {
public:
    Geos() : h_(initGEOS_r(quietly, quietly)) {}
    ~Geos() { finishGEOS_r(h_); }
    Geos(const Geos&) = delete;
    Geos& operator=(const Geos&) = delete;

    GEOSGeometry* polygon(std::vector<Vec2> c) {
        c.push_back(c.front());
        auto* s = GEOSCoordSeq_create_r(h_, static_cast<unsigned>(c.size()), 2);
        for (unsigned i = 0; i < c.size(); ++i)
            GEOSCoordSeq_setXY_r(h_, s, i, c[i].x, c[i].y);
        return GEOSGeom_createPolygon_r(h_, GEOSGeom_createLinearRing_r(h_, s), nullptr, 0);
    }
    double distance(const Shape& a, const Shape& b) {
        auto* p = polygon(outline(a, Length::millimetres(0.001)));
        auto* q = polygon(outline(b, Length::millimetres(0.001)));
        double d = 0;
        GEOSDistance_r(h_, p, q, &d);
        GEOSGeom_destroy_r(h_, p);
        GEOSGeom_destroy_r(h_, q);
        return d;
    }
    double area(const std::vector<Vec2>& c) {
        auto* p = polygon(c);
        double a = 0;
        GEOSArea_r(h_, p, &a);
        GEOSGeom_destroy_r(h_, p);
        return a;
    }

private:
    GEOSContextHandle_t h_;
};

} // namespace

TEST(Outside, GapsAgreeWithGeosOnThousandsOfRandomPieces) {
    Geos geos;
    std::mt19937 random(42);
    const int runs = test::rounds(2000, 40000);
    const auto number = [&](double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(random);
    };
    const auto any = [&] {
        const auto w = Length::millimetres(number(200, 2500));
        const auto d = Length::millimetres(number(200, 1500));
        switch (random() % 5) {
        case 0:
            return oval(w, w);
        case 1:
            return oval(w, d);
        case 2:
            return ell(w, d, d * 0.5, w * 0.4, random() % 2 == 0,
                       Length::millimetres(number(0, 60)));
        case 3:
            return rectangle(w, d, Length::millimetres(number(0, 90)));
        default:
            return rectangle(w, d);
        }
    };
    int apart = 0;
    int overlapping = 0;
    for (int i = 0; i < runs; ++i) {
        const Shape a =
            placed(any(), {{number(0, 4000), number(0, 4000)}, Angle::degrees(number(0, 360))});
        const Shape b =
            placed(any(), {{number(0, 4000), number(0, 4000)}, Angle::degrees(number(0, 360))});
        const auto g = gapBetween(a, b);
        const double d = geos.distance(a, b);
        ASSERT_NEAR(g.apart.mm(), d, 0.01) << "run " << i;
        if (d > 0.01) {
            ++apart;
            EXPECT_NEAR(norm(g.onSecond - g.onFirst), d, 0.01);
        } else if (g.depth.mm() > 0.5) {
            ++overlapping;
            // Moved out by the depth, a convex pair parts.
            if (a.count == 1 && b.count == 1) {
                Shape moved = a;
                for (auto& p : moved.parts[0].points)
                    p = p - g.direction * (g.depth.mm() + 0.01);
                EXPECT_GE(geos.distance(moved, b), 0.0);
                EXPECT_LT(gapBetween(moved, b).depth.mm(), 0.01);
            }
        }
    }
    EXPECT_GT(apart, runs / 4);
    EXPECT_GT(overlapping, runs / 50);
}

TEST(Outside, AreasAgreeWithGeos) {
    Geos geos;
    const std::vector<Vec2> room{{0, 0}, {4572, 0}, {5638, 1066}, {5638, 4422}, {0, 4422}};
    EXPECT_NEAR(geos.area(room), signedArea(room), 1e-6);
}
