// What is free on a wall, against every rectangle there is; stock sizes and proportions.
#include "hang/free_wall.h"
#include "hang/stock.h"
#include "jobs.h"

#include <cmath>
#include <filesystem>
#include <fstream>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Box box(double left, double right, double low, double high) {
    Box b;
    b.include(Vec2{left, low});
    b.include(Vec2{right, high});
    return b;
}

/// The largest free rectangle over a place, by trying every pair of edges both ways.
double everyRectangle(double length, double high, Vec2 place,
                      const std::vector<WallObstacle>& all) {
    std::vector<double> xs{0, length};
    std::vector<double> ys{0, high};
    for (const auto& o : all) {
        xs.insert(xs.end(), {o.box.low.x, o.box.high.x});
        ys.insert(ys.end(), {o.box.low.y, o.box.high.y});
    }
    double best = 0;
    for (const double l : xs)
        for (const double r : xs)
            for (const double b : ys)
                for (const double t : ys) {
                    if (l > place.x || r < place.x || b > place.y || t < place.y || r <= l ||
                        t <= b || l < 0 || r > length || b < 0 || t > high)
                        continue;
                    bool free = true;
                    for (const auto& o : all)
                        free = free && (o.box.high.x <= l + 1e-9 || o.box.low.x >= r - 1e-9 ||
                                        o.box.high.y <= b + 1e-9 || o.box.low.y >= t - 1e-9);
                    if (free)
                        best = std::max(best, (r - l) * (t - b));
                }
    return best;
}

} // namespace

TEST(FreeAround, IsTheLargestOfEveryRectangleThereIs) {
    const auto job = jobWith({});
    const auto scene = *sceneOf(job);
    const double length = job.room->walls[1].length().mm();
    const double high = job.room->ceiling.mm();
    std::mt19937 random(8);
    std::uniform_real_distribution<double> part(0, 1);
    int taken = 0;
    for (int round = 0; round < 200; ++round) {
        std::vector<WallObstacle> all;
        for (int i = 0; i < 6; ++i) {
            const double x = part(random) * length * 0.9;
            const double y = part(random) * high * 0.9;
            all.push_back({box(x, std::min(x + 100 + part(random) * 900, length), y,
                               std::min(y + 100 + part(random) * 700, high)),
                           {}});
        }
        const Vec2 place{part(random) * length, part(random) * high};
        const auto free = freeAround(*scene, 1, place, all);
        const double want = everyRectangle(length, high, place, all);
        if (!free) {
            ++taken;
            EXPECT_NEAR(want, 0, 1e-6);
            continue;
        }
        EXPECT_NEAR(free->size().x * free->size().y, want, 1e-3) << "round " << round;
    }
    EXPECT_GT(taken, 5);
}

TEST(FreeOver, IsAsWideAsThePieceAndAsTheWallLeavesIt) {
    const auto job = jobWith({"sideboard 60 x 18 x 34 against wall A, 60 from wall D"});
    const auto scene = *sceneOf(job);
    // Window 1 begins 90 in along: 30 in of the 60 are left.
    const auto free = freeOver(*scene, faceOf(*scene, 0), 0, {});
    EXPECT_FALSE(free && free->size().x > 31 * 25.4) << "the window is over half of it";
    const auto clear = jobWith({"sideboard 60 x 18 x 34 against wall C, centred on wall C"});
    const auto there = *sceneOf(clear);
    const auto over = freeOver(*there, faceOf(*there, 2), 0, {});
    ASSERT_TRUE(over);
    EXPECT_NEAR(over->size().x / 25.4, 60, 1e-6);
    EXPECT_NEAR(over->size().y / 25.4, 96 - 34, 1e-6);
}

TEST(FurnitureUnder, StandsByTheWallUnderItsMiddle) {
    const auto job = jobWith({"sideboard 60 x 18 x 34 against wall C, centred on wall C",
                              "floor lamp called Lamp against wall C, 20 from wall B",
                              "armchair called Far at 10', 8'"});
    const auto scene = *sceneOf(job);
    const auto face = faceOf(*scene, 2);
    const auto under = [&](double left, double right, double low) {
        return furnitureUnder(*scene, face,
                              box(left * 25.4, right * 25.4, low * 25.4, (low + 20) * 25.4),
                              Length::inches(24), Length::inches(36));
    };
    ASSERT_TRUE(under(100, 140, 40));
    EXPECT_EQ(FloorView(*scene).piece(*under(100, 140, 40)).name, "Sideboard");
    EXPECT_FALSE(under(30, 60, 40)) << "beside it";
    EXPECT_FALSE(under(100, 140, 75)) << "too far over it";
    EXPECT_FALSE(under(60, 95, 40)) << "mostly beside it";
}

TEST(Within, TakesBreathingRoomOffAndIsNothingWhenThereIsNone) {
    const Box b = box(0, 100, 0, 80);
    const auto in =
        within(b, Length::millimetres(10), Length::millimetres(5), Length::millimetres(20));
    ASSERT_TRUE(in);
    EXPECT_NEAR(in->size().x, 80, 1e-9);
    EXPECT_NEAR(in->low.y, 5, 1e-9);
    EXPECT_NEAR(in->high.y, 60, 1e-9);
    EXPECT_FALSE(within(b, Length::millimetres(50), {}, {}));
    EXPECT_FALSE(within(b, {}, Length::millimetres(40), Length::millimetres(40)));
}

TEST(Stock, ProportionsAreNamedByTheNearestRatio) {
    const auto named = [](double w, double h) {
        return proportionName(Length::inches(w), Length::inches(h));
    };
    EXPECT_EQ(named(20, 20), "1:1");
    EXPECT_EQ(named(36, 24), "2:3 lying");
    EXPECT_EQ(named(24, 36), "2:3 standing");
    EXPECT_EQ(named(80, 40), "1:2 lying");
    EXPECT_EQ(named(90, 30), "1:3 lying");
    EXPECT_EQ(named(30, 90), "1:3 standing");
    EXPECT_EQ(named(40, 35), "1:1");
}

TEST(Stock, WhatFitsIsTheLargestOfTheRightProportionFirst) {
    const auto& stock = library().stock;
    const auto all = stockFor(stock, Length::inches(82), Length::inches(42), false);
    ASSERT_FALSE(all.empty());
    EXPECT_NEAR(all[0].width.inInches(), 80, 1e-9);
    EXPECT_NEAR(all[0].height.inInches(), 40, 1e-9);
    for (const auto& s : all) {
        EXPECT_LE(s.width.inInches(), 82);
        EXPECT_LE(s.height.inInches(), 42);
        EXPECT_GT(s.covers, 0);
    }
    // A tall narrow wall wants a standing one.
    const auto tall = stockFor(stock, Length::inches(20), Length::inches(70), false);
    ASSERT_FALSE(tall.empty());
    EXPECT_GT(tall[0].height, tall[0].width);
    EXPECT_TRUE(stockFor(stock, Length::inches(2), Length::inches(2), false).empty());
    EXPECT_TRUE(stockFor(stock, {}, Length::inches(20), false).empty());
    const auto metric = stockFor(stock, Length::millimetres(1000), Length::millimetres(700), true);
    ASSERT_FALSE(metric.empty());
    EXPECT_NEAR(metric[0].width.mm(), 1000, 1e-9);
}

TEST(Stock, AFileThatIsNotOneIsRefusedWithItsNameAndEntry) {
    namespace fs = std::filesystem;
    const auto folder = fs::temp_directory_path() / "mezzet-stock";
    fs::create_directories(folder);
    const auto write = [&](const char* name, const char* text) {
        std::ofstream(folder / name) << text;
    };
    const char* sizes = R"({"format":"mezzet-stock-sizes 1","inches":[[10,8]],"millimetres":[]})";
    write("stock-sizes.json", sizes);
    write("shelving.json",
          R"({"format":"mezzet-shelving 1","materials":[{"name":"Oak","GPa":-1}]})");
    auto bad = loadWallStock(folder);
    ASSERT_FALSE(bad);
    EXPECT_NE(bad.problem().file.find("shelving.json"), std::string::npos);
    EXPECT_NE(bad.problem().what.find("entry 1"), std::string::npos);
    write("shelving.json", "not json");
    EXPECT_FALSE(loadWallStock(folder));
    write("shelving.json", R"({"format":"mezzet-shelving 1","materials":[]})");
    EXPECT_TRUE(loadWallStock(folder));
    write("stock-sizes.json", R"({"format":"mezzet-stock-sizes 1","inches":[[10]]})");
    EXPECT_FALSE(loadWallStock(folder));
    fs::remove_all(folder);
    EXPECT_FALSE(loadWallStock(folder));
}

// Wood Handbook (FPL), from memory: red oak about 12.3 GPa, white pine 8.5, birch plywood 9.
TEST(Stock, AUnitIsOfWhatIsToldOrOfParticleboardAssumed) {
    const auto& all = library().book->shelving;
    auto unit = *jobWith({"bookcase 36 x 12 x 78 against wall C"}).scheme().byName("Bookcase");
    const auto assumed = unitMaterial(all, unit);
    ASSERT_NE(assumed.is, nullptr);
    EXPECT_EQ(assumed.is->name, "Particleboard");
    EXPECT_TRUE(assumed.assumed);
    ThingTold of;
    of.material = "Pine";
    unit.thing = std::make_shared<const ThingTold>(of);
    const auto known = unitMaterial(all, unit);
    ASSERT_NE(known.is, nullptr);
    EXPECT_EQ(known.is->name, "Pine");
    EXPECT_FALSE(known.assumed);
    of.material = "moonstone";
    unit.thing = std::make_shared<const ThingTold>(of);
    EXPECT_TRUE(unitMaterial(all, unit).assumed);
    EXPECT_EQ(unitMaterial({}, unit).is, nullptr);
}

TEST(Shelving, HasTheHandbooksModuli) {
    const auto& all = library().book->shelving;
    const auto modulus = [&](const char* name) { return materialNamed(all, name)->modulus; };
    EXPECT_NEAR(modulus("oak"), 12.3, 0.5);
    EXPECT_NEAR(modulus("PINE"), 8.5, 0.5);
    EXPECT_NEAR(modulus("Birch plywood"), 9, 1);
    EXPECT_NEAR(modulus("MDF"), 3.6, 0.5);
    EXPECT_NEAR(modulus("Particleboard"), 2.8, 0.5);
    EXPECT_EQ(materialNamed(all, "cheese"), nullptr);
}

TEST(FurnitureUnder, IsUnderMostOfItAndSquareToTheWall) {
    const auto foundUnder = [](const char* line) {
        const auto job = jobWith({line});
        const auto scene = *sceneOf(job);
        // 60 wide, its middle over that of wall C.
        return furnitureUnder(*scene, faceOf(*scene, 2),
                              box(90 * 25.4, 150 * 25.4, 40 * 25.4, 60 * 25.4), Length::inches(24),
                              Length::inches(36))
            .has_value();
    };
    EXPECT_TRUE(foundUnder("console 40 x 14 x 32 against wall C, centred on wall C"));
    EXPECT_FALSE(foundUnder("console 24 x 14 x 32 against wall C, centred on wall C"))
        << "under four tenths of it";
    EXPECT_FALSE(
        foundUnder("console 60 x 14 x 32 centred on wall C, centre 24 from wall C, turned 210"))
        << "it stands aslant";
}
