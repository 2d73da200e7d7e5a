// What must hold for any shape: supports are the farthest points, gaps don't care who is first or
// where the room is, depths part, lanes agree with a fine comb.
#include "geometry/gap.h"
#include "geometry/lane.h"
#include "geometry/polygon.h"

#include <gtest/gtest.h>

#include <random>

using namespace mezzet;
using namespace mezzet::literals;

namespace {

class Random {
public:
    explicit Random(unsigned seed) : engine_(seed) {}
    double in(double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(engine_);
    }
    Shape shape() {
        const auto w = Length::millimetres(in(100, 900));
        const auto d = Length::millimetres(in(100, 600));
        switch (engine_() % 6) {
        case 0:
            return oval(w, w);
        case 1:
            return oval(w, d);
        case 2:
            return rectangle(w, d, Length::millimetres(in(0, 80)));
        case 3:
            return ell(w, d, d * 0.4, w * 0.3, engine_() % 2 == 0);
        case 4:
            return sector({0, 0}, {1, 0}, Angle::degrees(in(20, 170)), w);
        default:
            return rectangle(w, d);
        }
    }
    Pose pose() { return {{in(0, 2000), in(0, 2000)}, Angle::degrees(in(0, 360))}; }
    Shape anywhere() { return placed(shape(), pose()); }

private:
    std::mt19937 engine_;
};

constexpr int runs = 400;

} // namespace

TEST(AnyShape, SupportIsItsFarthestPoint) {
    Random random(1);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.anywhere();
        const Vec2 d = turned({1, 0}, Angle::degrees(random.in(0, 360)));
        double farthest = -1e300;
        for (const Vec2 p : outline(s, 0.01_mm))
            farthest = std::max(farthest, dot(p, d));
        EXPECT_NEAR(extent(s, d), farthest, 0.02);
    }
}

TEST(AnyShape, LiesInItsBoxAndItsCircle) {
    Random random(2);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.anywhere();
        const Box b = bounds(s);
        for (const Vec2 p : outline(s)) {
            EXPECT_LE(norm(p - s.centre), s.reach + 0.1);
            EXPECT_GE(p.x, b.low.x - 0.1);
            EXPECT_LE(p.x, b.high.x + 0.1);
            EXPECT_GE(p.y, b.low.y - 0.1);
            EXPECT_LE(p.y, b.high.y + 0.1);
        }
    }
}

TEST(AnyShape, HoldsWhatItsOutlineHolds) {
    Random random(3);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.anywhere();
        const auto o = outline(s, 0.01_mm);
        for (int k = 0; k < 20; ++k) {
            const Vec2 p{random.in(-200, 2200), random.in(-200, 2200)};
            double edge = 1e300;
            for (std::size_t j = 0; j < o.size(); ++j)
                edge = std::min(edge, norm(p - nearestOn({o[j], o[(j + 1) % o.size()]}, p)));
            if (edge > 0.05)
                EXPECT_EQ(contains(s, p), insideOutline(o, p));
        }
    }
}

TEST(AnyShape, TurningKeepsTheAreaOfItsOutline) {
    Random random(4);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.shape();
        const auto here = outline(s);
        const auto there = outline(placed(s, random.pose()));
        EXPECT_NEAR(signedArea(here), signedArea(there), signedArea(here) * 1e-4);
        EXPECT_GT(signedArea(here), 0) << "clockwise as drawn";
    }
}

TEST(AnyGap, IsTheSameFromEitherSide) {
    Random random(5);
    for (int i = 0; i < runs; ++i) {
        const auto a = random.anywhere();
        const auto b = random.anywhere();
        const auto g = gapBetween(a, b);
        const auto h = gapBetween(b, a);
        EXPECT_NEAR(g.apart.mm(), h.apart.mm(), 1e-5);
        EXPECT_NEAR(g.depth.mm(), h.depth.mm(), 1e-3);
    }
}

TEST(AnyGap, DoesNotCareWhereTheRoomIs) {
    Random random(6);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.shape();
        const auto t = random.shape();
        const Pose p = random.pose();
        const Pose q = random.pose();
        const Angle round = Angle::degrees(random.in(0, 360));
        const Vec2 away{random.in(-9000, 9000), random.in(-9000, 9000)};
        const auto moved = [&](const Pose& x) {
            return Pose{turned(x.at, round) + away, x.turn + round};
        };
        const auto here = gapBetween(placed(s, p), placed(t, q));
        const auto there = gapBetween(placed(s, moved(p)), placed(t, moved(q)));
        EXPECT_NEAR(here.clear().mm(), there.clear().mm(), 1e-3);
    }
}

TEST(AnyGap, WitnessesLieOnTheShapesAndFaceEachOther) {
    Random random(7);
    int apart = 0;
    for (int i = 0; i < runs; ++i) {
        const auto a = random.anywhere();
        const auto b = random.anywhere();
        const auto g = gapBetween(a, b);
        if (g.apart.mm() < 1)
            continue;
        ++apart;
        EXPECT_NEAR(norm(g.onSecond - g.onFirst), g.apart.mm(), 1e-6);
        EXPECT_NEAR(gapBetween(stretch({g.onFirst, g.onFirst}), a).apart.mm(), 0, 1e-4);
        EXPECT_NEAR(gapBetween(stretch({g.onSecond, g.onSecond}), b).apart.mm(), 0, 1e-4);
        EXPECT_FALSE(contains(a, g.onFirst + g.direction * 0.01));
        EXPECT_FALSE(contains(b, g.onSecond - g.direction * 0.01));
    }
    EXPECT_GT(apart, runs / 4);
}

TEST(AnyGap, NeverMovesApartFasterThanTheShapesDo) {
    Random random(8);
    for (int i = 0; i < runs; ++i) {
        const auto s = random.shape();
        const auto b = random.anywhere();
        Pose p = random.pose();
        const double before = gapBetween(placed(s, p), b).apart.mm();
        const Vec2 step{random.in(-50, 50), random.in(-50, 50)};
        p.at = p.at + step;
        EXPECT_LE(std::abs(gapBetween(placed(s, p), b).apart.mm() - before), norm(step) + 1e-6);
    }
}

TEST(AnyLane, AgreesWithAFineComb) {
    Random random(9);
    int met = 0;
    for (int i = 0; i < runs; ++i) {
        const auto s = random.anywhere();
        const Lane lane{{random.in(0, 2000), random.in(0, 2000)},
                        turned({1, 0}, Angle::degrees(random.in(0, 360))),
                        Length::millimetres(random.in(20, 200))};
        if (contains(s, lane.from))
            continue;
        // The comb: the nearest point of a dense outline in the lane and ahead.
        double comb = 1e300;
        bool straddles = false;
        const auto o = outline(s, 0.005_mm);
        for (std::size_t k = 0; k < o.size(); ++k) {
            for (int t = 0; t < 64; ++t) {
                const Vec2 p = o[k] + (o[(k + 1) % o.size()] - o[k]) * (t / 64.0);
                const Vec2 d = p - lane.from;
                if (std::abs(dot(d, quarter(lane.along))) > lane.halfWidth.mm() - 0.01)
                    continue;
                if (dot(d, lane.along) >= 0)
                    comb = std::min(comb, dot(d, lane.along));
                else
                    straddles = true;
            }
        }
        const auto p = firstInLane(lane, s);
        if (straddles)
            continue; // partly behind the start: a case of its own below
        EXPECT_EQ(p.has_value(), comb < 1e299) << "run " << i;
        if (p && comb < 1e299) {
            ++met;
            EXPECT_LE(dot(*p - lane.from, lane.along), comb + 0.01);
            EXPECT_GE(dot(*p - lane.from, lane.along), comb - 12) << "the comb's teeth are apart";
        }
    }
    EXPECT_GT(met, 20);
}

TEST(AnyLane, AShapeTheStartLiesInIsMetAtOnce) {
    const auto s = placed(rectangle(400_mm, 400_mm), {{0, 0}, {}});
    const auto p = firstInLane({{0, 0}, {0, 1}, 50_mm}, s);
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->y, 0, 1e-9);
}

TEST(Crossings, OfStretches) {
    EXPECT_TRUE(crossing({{0, 0}, {10, 10}}, {{0, 10}, {10, 0}}));
    EXPECT_FALSE(crossing({{0, 0}, {4, 4}}, {{0, 10}, {10, 0}}));
    EXPECT_TRUE(crossing({{0, 0}, {10, 0}}, {{5, 0}, {15, 0}})) << "lying on each other";
    EXPECT_FALSE(crossing({{0, 0}, {10, 0}}, {{0, 1}, {10, 1}}));
    EXPECT_TRUE(crossing({{0, 0}, {10, 0}}, {{10, 0}, {10, 9}})) << "end on end";
}

TEST(Centroid, OfKnownFigures) {
    const auto near = [](Vec2 a, Vec2 b) { return norm(a - b) < 1e-9; };
    EXPECT_TRUE(near(centroid(std::vector<Vec2>{{0, 0}, {6, 0}, {6, 4}, {0, 4}}), {3, 2}));
    EXPECT_TRUE(near(centroid(std::vector<Vec2>{{0, 0}, {9, 0}, {0, 6}}), {3, 2}));
    EXPECT_TRUE(near(centroid(std::vector<Vec2>{{1, 1}, {3, 1}}), {2, 1})) << "no area at all";
}

TEST(NearestOn, StaysOnTheStretch) {
    EXPECT_EQ(nearestOn({{0, 0}, {10, 0}}, {4, 7}), (Vec2{4, 0}));
    EXPECT_EQ(nearestOn({{0, 0}, {10, 0}}, {-4, 7}), (Vec2{0, 0}));
    EXPECT_EQ(nearestOn({{0, 0}, {10, 0}}, {14, 7}), (Vec2{10, 0}));
    EXPECT_EQ(nearestOn({{3, 3}, {3, 3}}, {14, 7}), (Vec2{3, 3}));
}
