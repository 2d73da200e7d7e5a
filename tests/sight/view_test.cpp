#include "sight/view.h"

#include "geometry/gap.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>
#include <random>

using namespace mezzet;

namespace {

constexpr double full = 2 * std::numbers::pi;

Shape box(Vec2 at, double w, double d, double turn = 0, double corner = 0) {
    return placed(
        rectangle(Length::millimetres(w), Length::millimetres(d), Length::millimetres(corner)),
        {at, Angle::degrees(turn)});
}

/// The first thing along a ray, by walking it: no cleverness at all.
int walked(Vec2 place, Vec2 d, const std::vector<Seen>& all, double far) {
    int owner = -1;
    double best = far;
    for (const Seen& s : all) {
        const Gap g = gapBetween(s.shape, stretch({place, place + d * far}).parts[0]);
        if (g.apart > Length{})
            continue;
        // Halved until the near end is found.
        double low = 0;
        double high = far;
        for (int i = 0; i < 60; ++i) {
            const double mid = (low + high) / 2;
            const bool met =
                gapBetween(s.shape, stretch({place, place + d * mid}).parts[0]).apart <= Length{};
            (met ? high : low) = mid;
        }
        if (high < best) {
            best = high;
            owner = s.owner;
        }
    }
    return owner;
}

} // namespace

TEST(View, AWallTakesTheAngleItsEndsSpan) {
    const std::vector<Seen> all{{stretch({{-1000, 1000}, {1000, 1000}}).parts[0], 7}};
    const auto parts = viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(180), all);
    ASSERT_EQ(parts.size(), 1U);
    EXPECT_EQ(parts[0].owner, 7);
    EXPECT_NEAR(parts[0].sweep.inDegrees(), 90, 1e-9);
    EXPECT_NEAR(parts[0].from.inDegrees(), 45, 1e-9);
}

TEST(View, ADiscTakesTheAngleOfItsTangents) {
    const auto s =
        placed(oval(Length::millimetres(400), Length::millimetres(400)), {{0, 1000}, {}});
    const auto parts = viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(180), {{s.parts[0], 1}});
    ASSERT_EQ(parts.size(), 1U);
    EXPECT_NEAR(parts[0].sweep.inRadians(), 2 * std::asin(200.0 / 1000), 1e-9);
}

TEST(View, TheNearerHidesTheFarther) {
    const auto near = box({0, 1000}, 400, 100);
    const auto far = box({0, 2000}, 4000, 100);
    const auto parts = viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(180),
                                {{near.parts[0], 1}, {far.parts[0], 2}});
    ASSERT_EQ(parts.size(), 3U);
    EXPECT_EQ(parts[0].owner, 2);
    EXPECT_EQ(parts[1].owner, 1);
    EXPECT_EQ(parts[2].owner, 2);
    EXPECT_NEAR(parts[1].sweep.inRadians(), 2 * std::atan2(200, 950), 1e-9);
}

TEST(View, WhatOneStandsInIsNotSeenAndNothingIsNothing) {
    const auto here = box({0, 0}, 400, 400);
    EXPECT_TRUE(
        viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(360), {{here.parts[0], 1}}).empty());
    EXPECT_TRUE(viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(360), {}).empty());
}

TEST(View, AgreesWithBruteForceRaysInRandomRooms) {
    std::mt19937 random(11);
    const auto any = [&](double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(random);
    };
    int rays = 0;
    for (int room = 0; room < 60; ++room) {
        std::vector<Seen> all;
        for (int i = 0; i < 14; ++i) {
            const Vec2 at{any(-3000, 3000), any(-3000, 3000)};
            if (norm(at) < 700)
                continue;
            const Shape s = i % 3 == 0 ? placed(oval(Length::millimetres(any(200, 900)),
                                                     Length::millimetres(any(200, 900))),
                                                {at, Angle::degrees(any(0, 360))})
                                       : box(at, any(200, 1200), any(200, 800), any(0, 360),
                                             i % 3 == 1 ? any(0, 90) : 0);
            all.push_back({s.parts[0], i});
        }
        for (const auto& [a, b] : {std::pair{Vec2{-4000, -4000}, Vec2{4000, -4000}},
                                   std::pair{Vec2{4000, -4000}, Vec2{4000, 4000}},
                                   std::pair{Vec2{4000, 4000}, Vec2{-4000, 4000}},
                                   std::pair{Vec2{-4000, 4000}, Vec2{-4000, -4000}}})
            all.push_back({stretch({a, b}).parts[0], 100});
        const auto parts = viewFrom({0, 0}, Angle::degrees(0), Angle::degrees(360), all);
        double sum = 0;
        for (const auto& p : parts)
            sum += p.sweep.inRadians();
        EXPECT_NEAR(sum, full, 1e-6) << "inside walls every direction meets something";
        for (int k = 0; k < 40; ++k) {
            const double angle = any(0, full);
            const int brute = walked({0, 0}, {std::cos(angle), std::sin(angle)}, all, 9000);
            for (const auto& p : parts) {
                const double in = std::fmod(angle - p.from.inRadians() + 2 * full, full);
                const double spare = 1e-4; // a ray along an edge may be either's
                if (in > spare && in < p.sweep.inRadians() - spare) {
                    EXPECT_EQ(p.owner, brute) << room << " " << angle;
                    ++rays;
                }
            }
        }
    }
    EXPECT_GT(rays, 2000);
}

TEST(Along, EveryFormIsMetWhereItsGapSays) {
    std::mt19937 random(5);
    const auto any = [&](double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(random);
    };
    for (int i = 0; i < 400; ++i) {
        const Vec2 at{any(-500, 500), any(900, 1600)};
        const Shape s = i % 3 == 0   ? placed(oval(Length::millimetres(any(100, 600)),
                                                   Length::millimetres(any(100, 600))),
                                              {at, Angle::degrees(any(0, 360))})
                        : i % 3 == 1 ? box(at, 500, 300, any(0, 360), any(0, 140))
                                     : sector(at, unit({any(-1, 1), any(-1, 1)}),
                                              Angle::degrees(90), Length::millimetres(400));
        const double angle = any(0.8, 2.4);
        const Vec2 d{std::cos(angle), std::sin(angle)};
        const double t = along({0, 0}, d, s.parts[0]);
        const auto ray = stretch({{0, 0}, d * 5000}).parts[0];
        const double apart = gapBetween(ray, s.parts[0]).apart.mm();
        if (t < 0) {
            EXPECT_GE(apart, 0.0);
            if (apart <= 0)
                EXPECT_LT(gapBetween(ray, s.parts[0]).depth.mm(), 0.2);
            continue;
        }
        EXPECT_LT(gapBetween(stretch({d * t, d * t}).parts[0], s.parts[0]).apart.mm(), 0.06) << i;
    }
}

TEST(Hides, WhatRisesIntoTheLine) {
    const Shape between = box({0, 1000}, 600, 200);
    SightLine line{{0, 0}, Length::millimetres(1500), {0, 2000}, Length::millimetres(500)};
    // Over its near edge the line is at 1500 - 1000 * 0.45, over its far edge at 1500 - 1000 *
    // 0.55.
    EXPECT_FALSE(hides(line, between, Length::millimetres(949)));
    EXPECT_TRUE(hides(line, between, Length::millimetres(951)));
    EXPECT_FALSE(hides({{0, 0}, Length::millimetres(1500), {2000, 0}, Length::millimetres(500)},
                       between, Length::millimetres(2000)))
        << "beside the line it hides nothing";
}
