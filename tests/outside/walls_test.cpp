// What hangs, against GEOS, the law of reflection, beams by finite differences, and published
// facts.
#include "hang/group_solver.h"
#include "hang/mirror.h"
#include "hang/sag.h"
#include "jobs.h"
#include "judge/on_walls.h"

#include <geos_c.h>

#include <cmath>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Area of the union of outlines, by GEOS.
double unionArea(const GroupAsk& ask, const GroupAnswer& a) {
    GEOSContextHandle_t geos = GEOS_init_r();
    std::vector<GEOSGeometry*> boxes;
    for (std::size_t i = 0; i < ask.items.size(); ++i) {
        const double w = ask.items[i].width.mm() / 2;
        const double h = ask.items[i].height.mm() / 2;
        const Vec2 c = a.centres[i];
        GEOSCoordSequence* s = GEOSCoordSeq_create_r(geos, 5, 2);
        const Vec2 corners[] = {c + Vec2{-w, -h}, c + Vec2{w, -h}, c + Vec2{w, h}, c + Vec2{-w, h},
                                c + Vec2{-w, -h}};
        for (unsigned k = 0; k < 5; ++k)
            GEOSCoordSeq_setXY_r(geos, s, k, corners[k].x, corners[k].y);
        boxes.push_back(
            GEOSGeom_createPolygon_r(geos, GEOSGeom_createLinearRing_r(geos, s), nullptr, 0));
    }
    GEOSGeometry* all = GEOSGeom_createCollection_r(geos, GEOS_MULTIPOLYGON, boxes.data(),
                                                    static_cast<unsigned>(boxes.size()));
    GEOSGeometry* joined = GEOSUnaryUnion_r(geos, all);
    double area = 0;
    GEOSArea_r(geos, joined, &area);
    GEOSGeom_destroy_r(geos, joined);
    GEOSGeom_destroy_r(geos, all);
    GEOS_finish_r(geos);
    return area;
}

} // namespace

TEST(GroupsByGeos, NoTwoCoverEachOtherAndTheFillIsTheirUnion) {
    std::mt19937 random(14);
    std::uniform_int_distribution<int> side(6, 30);
    for (const GroupForm form : {GroupForm::salon, GroupForm::spiral, GroupForm::grid,
                                 GroupForm::row, GroupForm::column}) {
        GroupAsk ask;
        ask.form = form;
        double sum = 0;
        for (int i = 0; i < 10; ++i) {
            ask.items.push_back(
                {i + 1, Length::inches(side(random)), Length::inches(side(random)), {}});
            sum += ask.items.back().width.mm() * ask.items.back().height.mm();
        }
        for (const auto& a : arrangeGroup(ask)) {
            EXPECT_NEAR(unionArea(ask, a) / sum, 1, 1e-9) << groupFormName(form).data();
            EXPECT_NEAR(unionArea(ask, a) / (a.size.x * a.size.y), a.fill, 1e-9);
        }
    }
}

// The law of reflection: the way in and the way out make the same angle with the glass.
TEST(Reflection, WhereAThingIsSeenTheAnglesAreEqual) {
    std::mt19937 random(15);
    std::uniform_real_distribution<double> x(30, 210);
    std::uniform_real_distribution<double> y(20, 160);
    for (int i = 0; i < 200; ++i) {
        const Vec2 thing{x(random), y(random)};
        const auto job = jobWith({"side table 1 x 1 x 1 at " + std::to_string(thing.x) + ", " +
                                  std::to_string(thing.y) + ", turned 0"});
        const auto scene = *sceneOf(job);
        const Looker l{Vec2{x(random), y(random)} * 25.4, Length::inches(55), {}};
        const auto b = shownOn(*scene, 0, {}, l, pieceTarget(job.scheme().pieces[0].id));
        ASSERT_TRUE(b);
        const Vec2 spot{b->centre().x, 0};
        const Vec2 in = unit(l.at - spot);
        const Vec2 out = unit(thing * 25.4 - spot);
        // The two lie the same way off the glass's normal, on either side of it.
        EXPECT_NEAR(in.x, -out.x, 0.02);
        EXPECT_NEAR(in.y, out.y, 0.02);
    }
}

// E I y'''' = w by finite differences, with the props as points that stay: another method than the
// program's elements.
TEST(SagByFiniteDifferences, AgreesOnThreeUnevenProps) {
    ShelfBeam b;
    b.length = Length::millimetres(1200);
    b.depth = Length::millimetres(250);
    b.thickness = Length::millimetres(19);
    b.modulus = 9;
    b.props = {Length::millimetres(100), Length::millimetres(500), Length::millimetres(1100)};
    b.load = 250;
    const double ei = 9e9 * 0.25 * std::pow(0.019, 3) / 12;
    // Relaxed on the energy: conjugate gradients over the second differences' squares.
    constexpr int n = 240;
    const double h = 1.2 / n;
    std::vector<bool> held(n + 1, false);
    for (const int i : {20, 100, 220})
        held[static_cast<std::size_t>(i)] = true;
    const auto apply = [&](const std::vector<double>& u) {
        std::vector<double> out(n + 1, 0.0);
        for (int i = 1; i < n; ++i) {
            const auto k = static_cast<std::size_t>(i);
            const double bend = (u[k - 1] - 2 * u[k] + u[k + 1]) * ei / (h * h * h);
            out[k - 1] += bend;
            out[k] -= 2 * bend;
            out[k + 1] += bend;
        }
        for (std::size_t i = 0; i <= n; ++i)
            if (held[i])
                out[i] = u[i];
        return out;
    };
    std::vector<double> f(n + 1, 250 * h);
    f.front() = f.back() = 250 * h / 2;
    for (std::size_t i = 0; i <= n; ++i)
        if (held[i])
            f[i] = 0;
    const auto product = [](const std::vector<double>& p, const std::vector<double>& q) {
        double sum = 0;
        for (std::size_t i = 0; i < p.size(); ++i)
            sum += p[i] * q[i];
        return sum;
    };
    std::vector<double> u(n + 1, 0.0);
    auto r = f;
    auto p = r;
    double rr = product(r, r);
    for (int step = 0; step < 20000 && rr > 1e-22; ++step) {
        for (std::size_t i = 0; i <= n; ++i)
            if (held[i])
                p[i] = 0;
        const auto ap = apply(p);
        const double alpha = rr / product(p, ap);
        for (std::size_t i = 0; i <= n; ++i) {
            u[i] += alpha * p[i];
            r[i] -= alpha * ap[i];
        }
        const double next = product(r, r);
        for (std::size_t i = 0; i <= n; ++i)
            p[i] = r[i] + next / rr * p[i];
        rr = next;
    }
    double most = 0;
    for (const double v : u)
        most = std::max(most, v);
    EXPECT_NEAR(sagOf(b).deflection.mm() / (most * 1000), 1, 0.02);
}

// Wood Handbook (FPL), from memory: a 3/4 in pine shelf of 36 in, loaded with 20 lb of books to the
// foot, sags about 1/8 in; a carpenter's rule of thumb says such a shelf is at its limit.
TEST(Shelves, AYardOfPineUnderBooksIsAtItsLimit) {
    const auto job = jobWith({"bracket shelf 36 x 10 x 1 on wall B, of pine, housed"});
    ShelfBeam b;
    b.length = Length::inches(36);
    b.depth = Length::inches(10);
    b.thickness = Length::inches(0.75);
    b.modulus = 8.5;
    b.props = {{}, Length::inches(36)};
    b.load = Mass::pounds(20).newtons() / 0.3048;
    const Sag s = sagOf(b);
    EXPECT_GT(s.deflection.inInches(), 0.06);
    EXPECT_LT(s.deflection.inInches(), 0.2);
    EXPECT_NEAR(1 / s.ratio, 360, 190) << "near the span over 360";
    EXPECT_TRUE(shelfBeam(**sceneOf(job), 0, *job.library.book)->clamped);
}

// ADA 2010 Standards 307.2, and BS 7671 522.6.202 (from memory): the figures the rules carry.
TEST(WallRules, CarryThePublishedFigures) {
    const auto& book = *library().book;
    const Rule& protrude = *book.byId("protrude");
    EXPECT_NEAR(*protrude.bands.at("").high / 25.4, 4, 1e-9);
    EXPECT_NEAR(protrude.setting("from").inInches(), 27, 1e-9);
    EXPECT_NEAR(protrude.setting("to").inInches(), 80, 1e-9);
    EXPECT_NEAR(book.byId("cable-zone")->setting("zone").mm(), 150, 3) << "150 mm";
    EXPECT_NEAR(book.byId("shelf-sag")->number("share of span"), 1.0 / 360, 1e-12);
    EXPECT_NEAR(book.byId("shelf-sag")->number("share of foot"), 1.0 / 16 / 12, 1e-12);
    EXPECT_NEAR(book.byId("hook")->number("rating"), 4, 1e-12) << "common practice";
    EXPECT_NEAR(book.byId("art-centre")->number("eye over stature"), 0.936, 1e-12)
        << "Drillis and Contini";
}

// Common practice, hand-worked: over an 84 in sofa with a 34 in back, under an 8 ft ceiling, a
// picture 30 high hung 6 in above it has its centre at 55.
TEST(WallRules, TheUsualSofaIsHandWorked) {
    const auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall C, centred on wall C", "picture 56 x 30, 6 above sofa"});
    const auto all = readingsOf(job);
    EXPECT_NEAR(find(all, job, "art-centre", "Picture")->value.length().inInches(), 55, 1e-9);
    EXPECT_NEAR(find(all, job, "art-above", "Picture")->value.length().inInches(), 6, 1e-9);
    EXPECT_NEAR(find(all, job, "art-width", "Picture")->value.value, 2.0 / 3, 1e-9);
}
