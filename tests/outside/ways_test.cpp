// The widest way against GEOS: bisection on the free floor shrunk by a radius until it no longer
// joins the two places.
#include "geometry/gap.h"
#include "rounds.h"
#include "ways/path.h"
#include "ways/widest.h"

#include <gtest/gtest.h>

#include <geos_c.h>

#include <cmath>
#include <cstdlib>
#include <random>

using namespace mezzet;

namespace {

class Floor {
public:
    Floor() : h_(GEOS_init_r()) {}
    Floor(const Floor&) = delete;
    Floor& operator=(const Floor&) = delete;
    ~Floor() {
        GEOSGeom_destroy_r(h_, room_);
        GEOSGeom_destroy_r(h_, solid_);
        GEOS_finish_r(h_);
    }
    void build(double w, double d, const std::vector<Shape>& things) {
        room_ = polygon({{0, 0}, {w, 0}, {w, d}, {0, d}});
        std::vector<GEOSGeometry*> all;
        for (const Shape& s : things)
            all.push_back(polygon(outline(s, Length::millimetres(0.02))));
        auto* many = GEOSGeom_createCollection_r(h_, GEOS_MULTIPOLYGON, all.data(),
                                                 static_cast<unsigned>(all.size()));
        solid_ = GEOSUnaryUnion_r(h_, many);
        GEOSGeom_destroy_r(h_, many);
    }
    /// Whether a disc of this radius gets from one place to the other.
    bool joins(double r, Vec2 from, Vec2 to) const {
        auto* inner = GEOSBuffer_r(h_, room_, -r, 48);
        auto* grown = GEOSBuffer_r(h_, solid_, r, 48);
        auto* free = GEOSDifference_r(h_, inner, grown);
        bool joined = false;
        const int n = GEOSGetNumGeometries_r(h_, free);
        for (int i = 0; i < n && !joined; ++i) {
            const auto* part = GEOSGetGeometryN_r(h_, free, i);
            joined = holds(part, from) && holds(part, to);
        }
        GEOSGeom_destroy_r(h_, free);
        GEOSGeom_destroy_r(h_, grown);
        GEOSGeom_destroy_r(h_, inner);
        return joined;
    }
    /// The widest way's width, to a tenth of a millimetre; at most `widest`.
    double width(Vec2 from, Vec2 to, double widest) const {
        double low = 0, high = widest / 2;
        if (joins(high, from, to))
            return widest;
        while (high - low > 0.05) {
            const double r = (low + high) / 2;
            (joins(r, from, to) ? low : high) = r;
        }
        return low * 2;
    }

private:
    GEOSGeometry* polygon(std::vector<Vec2> c) const {
        c.push_back(c.front());
        auto* seq = GEOSCoordSeq_create_r(h_, static_cast<unsigned>(c.size()), 2);
        for (unsigned i = 0; i < c.size(); ++i)
            GEOSCoordSeq_setXY_r(h_, seq, i, c[i].x, c[i].y);
        return GEOSGeom_createPolygon_r(h_, GEOSGeom_createLinearRing_r(h_, seq), nullptr, 0);
    }
    bool holds(const GEOSGeometry* g, Vec2 p) const {
        auto* point = GEOSGeom_createPointFromXY_r(h_, p.x, p.y);
        const bool in = GEOSIntersects_r(h_, g, point) == 1;
        GEOSGeom_destroy_r(h_, point);
        return in;
    }

    GEOSContextHandle_t h_;
    GEOSGeometry* room_ = nullptr;
    GEOSGeometry* solid_ = nullptr;
};

std::vector<Block> blocksOf(double w, double d, const std::vector<Shape>& things) {
    std::vector<Block> out;
    const Vec2 c[] = {{0, 0}, {w, 0}, {w, d}, {0, d}};
    for (std::size_t i = 0; i < 4; ++i)
        out.push_back({stretch({c[i], c[(i + 1) % 4]}).parts[0], -1});
    for (std::size_t i = 0; i < things.size(); ++i)
        for (const Convex& part : things[i].all())
            out.push_back({part, static_cast<int>(i)});
    return out;
}

constexpr double widest = 2500;

} // namespace

TEST(Ways, AgreeWithBisectionOnGeosBuffersInRandomRooms) {
    std::mt19937 random(71);
    std::uniform_real_distribution<double> share(0, 1);
    const int rooms = test::rounds(120, 3000);
    int narrow = 0, blocked = 0;
    for (int k = 0; k < rooms; ++k) {
        const double w = 3000 + 4000 * share(random);
        const double d = 3000 + 3000 * share(random);
        std::vector<Shape> things;
        const int count = 3 + static_cast<int>(random() % 14);
        for (int i = 0; i < count; ++i) {
            const auto side = [&] { return Length::millimetres(250 + 1400 * share(random)); };
            const Shape s = i % 4 == 0   ? oval(side(), side())
                            : i % 4 == 1 ? ell(Length::metres(1.8), Length::metres(1.5),
                                               Length::metres(0.7), Length::metres(0.6), i % 8 == 1)
                                         : rectangle(side(), side(), Length::millimetres(i * 8));
            things.push_back(placed(
                s, {{w * share(random), d * share(random)}, Angle::degrees(360 * share(random))}));
        }
        const Vec2 from{150 + (w - 300) * share(random), 150};
        const Vec2 to{150 + (w - 300) * share(random), d - 150};
        Floor floor;
        floor.build(w, d, things);
        const double wanted = floor.width(from, to, widest);
        const WayFinder ways(blocksOf(w, d, things), Length::millimetres(widest));
        const auto pinch = ways.narrowest({from}, {to});
        const double got = pinch ? pinch->width.mm() : widest;
        EXPECT_NEAR(got, wanted, 1.0) << "room " << k;
        narrow += pinch && got > 1 ? 1 : 0;
        blocked += got <= 1 ? 1 : 0;
        if (pinch && pinch->first != pinch->second)
            EXPECT_NEAR(norm(pinch->onFirst - pinch->onSecond), got, 1e-6);
    }
    EXPECT_GT(narrow, rooms / 5) << "the rooms are worth the trial";
    EXPECT_GT(blocked, 0);
}

TEST(Ways, KnownCases) {
    // A corridor 900 wide between two boxes, another of 700 round the far side: the wider one
    // counts.
    const std::vector<Shape> things{
        placed(rectangle(Length::metres(2), Length::metres(0.5)), {{1000, 2000}, {}}),
        placed(rectangle(Length::millimetres(1400), Length::metres(0.5)), {{3600, 2000}, {}})};
    const WayFinder ways(blocksOf(5000, 4000, things), Length::metres(3));
    const auto p = ways.narrowest({{2500, 800}}, {{2500, 3200}});
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->width.mm(), 900, 1e-6);
    EXPECT_NEAR(p->onFirst.x + p->onSecond.x, 2000 + 2900, 1e-6);
    // Closed there, the way round by the wall of 700 is left.
    auto closed = things;
    closed.push_back(placed(rectangle(Length::metres(1), Length::metres(0.4)), {{2450, 2000}, {}}));
    const auto round = WayFinder(blocksOf(5000, 4000, closed), Length::metres(3))
                           .narrowest({{2500, 800}}, {{2500, 3200}});
    ASSERT_TRUE(round);
    EXPECT_NEAR(round->width.mm(), 700, 1e-6);
    // A wall right across leaves nothing.
    closed.push_back(placed(rectangle(Length::metres(1), Length::metres(0.4)), {{4700, 2000}, {}}));
    EXPECT_NEAR(WayFinder(blocksOf(5000, 4000, closed), Length::metres(3))
                    .narrowest({{2500, 800}}, {{2500, 3200}})
                    ->width.mm(),
                0, 1e-9);
    // Nothing in the way at all.
    EXPECT_FALSE(WayFinder(blocksOf(5000, 4000, {}), Length::metres(1))
                     .narrowest({{2500, 800}}, {{2500, 3200}}));
    // Standing too close to a box is itself the narrowest.
    const auto close = ways.narrowest({{1000, 1650}}, {{2500, 3200}});
    ASSERT_TRUE(close);
    EXPECT_NEAR(close->width.mm(), 200, 1e-6);
}

TEST(Ways, WithSomethingOpenedAreThoseOfAFloorBuiltSo) {
    std::mt19937 random(5);
    std::uniform_real_distribution<double> share(0, 1);
    int differs = 0;
    for (int k = 0; k < 400; ++k) {
        const double w = 3000 + 3000 * share(random);
        const double d = 3000 + 3000 * share(random);
        std::vector<Shape> things;
        const int count = 4 + static_cast<int>(random() % 10);
        for (int i = 0; i < count; ++i)
            things.push_back(placed(
                rectangle(Length::millimetres(300 + 1200 * share(random)),
                          Length::millimetres(300 + 900 * share(random))),
                {{w * share(random), d * share(random)}, Angle::degrees(360 * share(random))}));
        const WayEnd from{{200, 200}};
        const WayEnd to{{w - 200, d - 200}};
        // Thing 0 is out of the way, and a bar stands there instead.
        const Shape bar = placed(rectangle(Length::metres(1.2), Length::millimetres(60)),
                                 {things[0].centre, Angle::degrees(30)});
        const WayFinder whole(blocksOf(w, d, things), Length::millimetres(widest));
        Opened opened;
        opened.without = {0};
        opened.with = {{bar.parts[0], 99, {-1, -1}}};
        const auto here = whole.narrowest(from, to, opened);
        auto built = things;
        built[0] = bar;
        const auto there =
            WayFinder(blocksOf(w, d, built), Length::millimetres(widest)).narrowest(from, to);
        ASSERT_EQ(here.has_value(), there.has_value()) << k;
        if (here)
            EXPECT_NEAR(here->width.mm(), there->width.mm(), 1e-9) << k;
        const auto plain = whole.narrowest(from, to);
        differs += plain.has_value() != here.has_value() ||
                           (plain && std::abs(plain->width.mm() - here->width.mm()) > 1)
                       ? 1
                       : 0;
    }
    EXPECT_GT(differs, 20) << "opening something makes a difference";
}

TEST(LargestCircle, IsTheKnownOne) {
    const auto edge = [](double w, double d) {
        return std::vector<Vec2>{{0, 0}, {w, 0}, {w, d}, {0, d}};
    };
    // In a rectangle half its lesser side; a handbook fact.
    EXPECT_NEAR(largestCircle(blocksOf(5000, 3000, {}), edge(5000, 3000)).radius.mm(), 1500, 0.6);
    // Round a square pillar in the middle of a square: between its corner and the room's.
    const auto pillar =
        placed(rectangle(Length::millimetres(1000), Length::millimetres(1000)), {{2000, 2000}, {}});
    const double r = largestCircle(blocksOf(4000, 4000, {pillar}), edge(4000, 4000)).radius.mm();
    // Touching two walls and the pillar's corner at (1500, 1500): r (1 + sqrt 2) = 1500 sqrt 2.
    EXPECT_NEAR(r, 1500 * std::sqrt(2.0) / (1 + std::sqrt(2.0)), 0.6);
}

TEST(LargestCircle, AgreesWithAFineGridInRandomRooms) {
    std::mt19937 random(6);
    std::uniform_real_distribution<double> share(0, 1);
    for (int k = 0; k < 12; ++k) {
        const double w = 4000;
        const double d = 3000;
        std::vector<Shape> things;
        for (int i = 0; i < 5; ++i)
            things.push_back(placed(
                rectangle(Length::millimetres(300 + 700 * share(random)),
                          Length::millimetres(300 + 700 * share(random))),
                {{w * share(random), d * share(random)}, Angle::degrees(360 * share(random))}));
        const auto blocks = blocksOf(w, d, things);
        const std::vector<Vec2> edge{{0, 0}, {w, 0}, {w, d}, {0, d}};
        const auto c = largestCircle(blocks, edge);
        double best = 0;
        for (double x = 20; x < w; x += 20)
            for (double y = 20; y < d; y += 20) {
                double near = 1e9;
                for (const auto& b : blocks)
                    near = std::min(
                        near, gapBetween(b.shape, stretch({{x, y}, {x, y}}).parts[0]).apart.mm());
                best = std::max(best, near);
            }
        EXPECT_GE(c.radius.mm(), best - 0.6) << k;
        EXPECT_LE(c.radius.mm(), best + 15) << "a grid of 20 mm misses its middle by 14 at most";
    }
}
