// The light at a point against closed forms; the source of each is named with it.
#include "light/illuminance.h"
#include "photometry/photometry.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <cmath>
#include <numbers>
#include <random>

using namespace mezzet;

namespace {

constexpr double pi = std::numbers::pi;

PhotometryPtr shining(double (*candela)(double)) {
    auto p = std::make_shared<Photometry>();
    for (double v = 0; v <= 180; v += 0.5) {
        p->vertical.push_back(v);
        p->candela.push_back(candela(v));
    }
    p->horizontal = {0};
    return p;
}
PhotometryPtr steady() {
    static const auto p = shining([](double) { return 1000.0; });
    return p;
}
PhotometryPtr diffuse() {
    static const auto p =
        shining([](double v) { return v < 90 ? 1000 * std::cos(v * pi / 180) : 0.0; });
    return p;
}

Lamp lampAt(Vec3 at, PhotometryPtr p) {
    Lamp l;
    l.at = at;
    l.x = {1, 0, 0};
    l.y = {0, 1, 0};
    l.z = {0, 0, -1};
    l.lumens = p->lumens();
    l.shines = std::move(p);
    return l;
}

/// A face of four corners, seen from the side of its normal.
Face quad(Vec3 a, Vec3 b, Vec3 c, Vec3 d, Vec3 normal) {
    return {Made::wall, 0, normal, {{a, b, c}, {a, c, d}}};
}

/// A box seen from inside.
Solids box(double w, double d, double h) {
    Solids s;
    s.faces = {quad({0, 0, 0}, {w, 0, 0}, {w, d, 0}, {0, d, 0}, {0, 0, 1}),
               quad({0, 0, h}, {w, 0, h}, {w, d, h}, {0, d, h}, {0, 0, -1}),
               quad({0, 0, 0}, {w, 0, 0}, {w, 0, h}, {0, 0, h}, {0, 1, 0}),
               quad({0, d, 0}, {w, d, 0}, {w, d, h}, {0, d, h}, {0, -1, 0}),
               quad({0, 0, 0}, {0, d, 0}, {0, d, h}, {0, 0, h}, {1, 0, 0}),
               quad({w, 0, 0}, {w, d, 0}, {w, d, h}, {w, 0, h}, {-1, 0, 0})};
    return s;
}

const Vec3 up{0, 0, 1};

} // namespace

// The inverse square and cosine laws, with their usual worked example.
TEST(Illuminance, FallsBySquareAndCosine) {
    const LitRoom lit(Solids{}, {}, {lampAt({0, 0, 2000}, steady())});
    EXPECT_NEAR(lit.direct({0, 0, 0}, up), 250, 1e-6);
    EXPECT_NEAR(lit.direct({2000, 0, 0}, up), 88.3883, 1e-3);
    EXPECT_NEAR(lit.direct({2000, 0, 0}, {-1, 0, 0}), 88.3883, 1e-3);
    EXPECT_EQ(lit.direct({2000, 0, 0}, {1, 0, 0}), 0);
    EXPECT_EQ(lit.direct({0, 0, 3000}, up), 0);
}

// A uniform diffuse disc seen on its axis: E = pi L r² / (r² + d²).
TEST(Illuminance, OfADiffuseDiscIsItsClosedForm) {
    for (const double d : {400.0, 1000.0, 2500.0, 6000.0}) {
        auto lamp = lampAt({0, 0, d}, diffuse());
        lamp.round = true;
        lamp.length = lamp.width = 1000;
        const LitRoom lit(Solids{}, {}, {lamp});
        const double r = 0.5;
        const double luminance = 1000 / (pi * r * r);
        const double m = d / 1000;
        const double wanted = pi * luminance * r * r / (r * r + m * m);
        EXPECT_NEAR(lit.direct({0, 0, 0}, up), wanted, wanted * 0.01) << d;
    }
}

// A uniform diffuse rectangle seen from straight under its corner (Lambert; Siegel and Howell,
// configuration B-3): E = L/2 (X/√(1+X²) atan(Y/√(1+X²)) + Y/√(1+Y²) atan(X/√(1+Y²))).
TEST(Illuminance, OfADiffuseRectangleIsItsClosedForm) {
    auto lamp = lampAt({600, 300, 1500}, diffuse());
    lamp.length = 1200;
    lamp.width = 600;
    const LitRoom lit(Solids{}, {}, {lamp});
    const double x = 1.2 / 1.5;
    const double y = 0.6 / 1.5;
    const double luminance = 1000 / (1.2 * 0.6);
    const double wanted = luminance / 2 *
                          (x / std::sqrt(1 + x * x) * std::atan(y / std::sqrt(1 + x * x)) +
                           y / std::sqrt(1 + y * y) * std::atan(x / std::sqrt(1 + y * y)));
    EXPECT_NEAR(lit.direct({0, 0, 0}, up), wanted, wanted * 0.01);
}

// Two equal squares a side apart see 0.1998 of each other's light, two that meet at a right angle
// 0.2000 (Siegel and Howell, tables of configuration factors).
TEST(Illuminance, SquaresSeeTheirTabledShareOfEachOther) {
    auto lamp = lampAt({500, 500, 1000}, diffuse());
    lamp.length = lamp.width = 1000;
    const LitRoom lit(Solids{}, {}, {lamp});
    const auto share = [&](Vec3 origin, Vec3 u, Vec3 v, Vec3 normal) {
        constexpr int n = 25;
        double sum = 0;
        for (int i = 0; i < n; ++i)
            for (int k = 0; k < n; ++k)
                sum += lit.direct(origin + u * ((i + 0.5) / n) + v * ((k + 0.5) / n), normal);
        return sum / (n * n) / lamp.lumens; // on one square metre
    };
    EXPECT_NEAR(share({0, 0, 0}, {1000, 0, 0}, {0, 1000, 0}, up), 0.1998, 0.001);
    // The wall hangs down from one of its sides.
    EXPECT_NEAR(share({0, 0, 0}, {0, 1000, 0}, {0, 0, 1000}, {1, 0, 0}), 0.2000, 0.004);
}

// In a closed box of one reflectance the mean light is flux / (area (1 - reflectance)), as no light
// is lost.
TEST(Illuminance, InAClosedBoxNoLightIsLost) {
    for (const double rho : {0.0, 0.3, 0.5, 0.8}) {
        LitRoom lit(box(4000, 3000, 2500), std::vector<double>(6, rho),
                    {lampAt({1300, 1700, 1900}, steady())});
        ASSERT_TRUE(lit.pass());
        const double wanted = steady()->lumens() / (lit.area() * (1 - rho));
        EXPECT_NEAR(lit.area(), 2 * (12 + 10 + 7.5), 1e-9);
        EXPECT_NEAR(lit.meanOfAll(), wanted, wanted * 0.005) << rho;
    }
    // By points as well: a cube lit from its middle is the same on all sides.
    LitRoom cube(box(3000, 3000, 3000), std::vector<double>(6, 0.5),
                 {lampAt({1500, 1500, 1500}, steady())});
    ASSERT_TRUE(cube.pass());
    double sum = 0;
    constexpr int n = 15;
    for (int i = 0; i < n; ++i)
        for (int k = 0; k < n; ++k)
            sum += cube.at({3000 * (i + 0.5) / n, 3000 * (k + 0.5) / n, 0}, up).all();
    const double wanted = steady()->lumens() / (54 * 0.5);
    EXPECT_NEAR(sum / (n * n), wanted, wanted * 0.02);
}

// The first bounce off one diffuse square is what a diffuse lamp of its size and light would give
// (CIE 171:2006, 5.6, in kind; from memory).
TEST(Illuminance, ADiffuseSurfacePassesItsLightOnDiffusely) {
    Solids s;
    s.faces = {quad({0, 0, 0}, {500, 0, 0}, {500, 500, 0}, {0, 500, 0}, up)};
    const double rho = 0.8;
    LitRoom lit(s, {rho}, {lampAt({250, 250, 4000}, steady())});
    ASSERT_TRUE(lit.pass());
    // Nearly even light on it: E; it gives rho E of it back from 0.25 m².
    const double e = 1000 / 16.0;
    auto lamp = lampAt({250, 250, 0}, diffuse());
    lamp.z = {0, 0, 1};
    lamp.length = lamp.width = 500;
    lamp.factor = rho * e * 0.25 / lamp.lumens;
    const LitRoom same(Solids{}, {}, {lamp});
    for (const Vec3 at : {Vec3{250, 250, 1000}, Vec3{900, 250, 1000}, Vec3{250, 1500, 800}}) {
        const double wanted = same.direct(at, {0, 0, -1});
        EXPECT_NEAR(lit.bounced(at, {0, 0, -1}), wanted, wanted * 0.06 + 0.01);
    }
}

// Shadows against every triangle tried in turn (Möller and Trumbore, 1997).
TEST(Illuminance, ShadowsAgreeWithEveryTriangleTried) {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> any(0, 4000);
    const auto point = [&] { return Vec3{any(random), any(random), any(random)}; };
    std::vector<Rays::Triangle> all;
    for (int i = 0; i < 60; ++i) {
        const Vec3 a = point();
        std::array<Vec3, 3> t{a, a + (point() - a) * 0.3, a + (point() - a) * 0.3};
        all.push_back({t, unit(cross(t[1] - t[0], t[2] - t[0]))});
    }
    const Rays rays(all);
    int shaded = 0;
    int unsure = 0;
    for (int i = 0; i < 3000; ++i) {
        const Vec3 from = point();
        const Vec3 to = point();
        const Vec3 way = to - from;
        bool blocked = false;
        bool edge = false;
        for (const auto& t : all) {
            const Vec3 e1 = t.corners[1] - t.corners[0];
            const Vec3 e2 = t.corners[2] - t.corners[0];
            const Vec3 p = cross(way, e2);
            const double det = dot(e1, p);
            if (std::abs(det) < 1e-6)
                continue;
            const Vec3 s = from - t.corners[0];
            const double u = dot(s, p) / det;
            const Vec3 q = cross(s, e1);
            const double v = dot(way, q) / det;
            const double along = dot(e2, q) / det;
            const double near = 1e-3;
            if (u < -near || v < -near || u + v > 1 + near || along < -near || along > 1 + near)
                continue;
            const bool inside =
                u > near && v > near && u + v < 1 - near && along > near && along < 1 - near;
            (inside ? blocked : edge) = true;
        }
        if (!blocked && edge) {
            ++unsure;
            continue;
        }
        EXPECT_EQ(rays.blocked(from, to), blocked) << i;
        shaded += blocked ? 1 : 0;
    }
    EXPECT_GT(shaded, 300);
    EXPECT_LT(unsure, 100);
}

TEST(Illuminance, StoppedItPassesNothingOn) {
    LitRoom lit(box(4000, 3000, 2500), std::vector<double>(6, 0.5),
                {lampAt({1300, 1700, 1900}, steady())});
    EXPECT_FALSE(lit.pass([] { return true; }));
    EXPECT_EQ(lit.bounced({2000, 1500, 0}, up), 0);
}
