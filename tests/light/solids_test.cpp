// The bodies of a room and of what is in it: closed, as large as they are, with their openings.
#include "geometry/polygon.h"
#include "light/rays.h"
#include "solid/solids.h"

#include "jobs.h"

#include <fmt/format.h>

#include <cmath>
#include <map>
#include <numbers>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

double areaOfTriangle(const std::array<Vec3, 3>& t) {
    return norm(cross(t[1] - t[0], t[2] - t[0])) / 2;
}
double areaOfFace(const Face& f) {
    double sum = 0;
    for (const auto& t : f.triangles)
        sum += areaOfTriangle(t);
    return sum;
}

/// Areas by what they are of, in square feet.
std::map<Made, double> areasOf(const Project& job) {
    std::map<Made, double> out;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        out[f.made] += areaOfFace(f) / (304.8 * 304.8);
    return out;
}

/// The volume within the faces of a piece (the divergence theorem), in cubic inches.
double volumeOf(const Project& job, const char* name) {
    const int id = job.scheme().byName(name)->id;
    double sum = 0;
    for (const Face& f : solidsOf(**sceneOf(job)).faces) {
        if (f.made != Made::piece || f.of != id)
            continue;
        for (const auto& t : f.triangles)
            sum += dot(t[0], f.normal) * areaOfTriangle(t) / 3;
    }
    return sum / (25.4 * 25.4 * 25.4);
}

/// The area-weighted sum of normals: nothing for what is closed.
Vec3 openness(const Project& job, const char* name) {
    const int id = job.scheme().byName(name)->id;
    Vec3 sum;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        if (f.made == Made::piece && f.of == id)
            sum = sum + f.normal * areaOfFace(f);
    return sum;
}

} // namespace

TEST(Triangles, CoverTheirOutlineWhateverItsShape) {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> far(300, 1500);
    for (int i = 0; i < 200; ++i) {
        // A star round a middle never crosses itself, and is as jagged as can be.
        std::vector<Vec2> ring;
        const int corners = 3 + i % 22;
        for (int k = 0; k < corners; ++k) {
            const double turn = 2 * std::numbers::pi * k / corners;
            ring.push_back(Vec2{std::cos(turn), std::sin(turn)} * far(random));
        }
        if (i % 2 == 0)
            std::reverse(ring.begin(), ring.end());
        double sum = 0;
        const auto all = trianglesOf(ring);
        for (const auto& t : all) {
            const double own = std::abs(cross(t[1] - t[0], t[2] - t[0])) / 2;
            sum += own;
            EXPECT_TRUE(insideOutline(ring, (t[0] + t[1] + t[2]) / 3)) << i;
        }
        EXPECT_NEAR(sum, std::abs(signedArea(ring)), 1e-3) << i;
    }
}

TEST(Triangles, OfNothingAreNone) {
    EXPECT_TRUE(trianglesOf({}).empty());
    EXPECT_TRUE(trianglesOf({{0, 0}, {1, 0}}).empty());
    EXPECT_TRUE(trianglesOf({{0, 0}, {0, 0}, {0, 0}, {5, 0}}).empty());
    // Corners on a straight stretch, and doubled ones, are no ears.
    const auto square = trianglesOf(
        {{0, 0}, {50, 0}, {100, 0}, {100, 0}, {100, 100}, {50, 100}, {0, 100}, {0, 50}});
    double sum = 0;
    for (const auto& t : square)
        sum += std::abs(cross(t[1] - t[0], t[2] - t[0])) / 2;
    EXPECT_NEAR(sum, 10000, 1e-6);
}

TEST(Triangles, CutInHalvesKeepTheirAreaAndAreNoLonger) {
    const std::array<Vec3, 3> whole{Vec3{0, 0, 0}, Vec3{4000, 0, 500}, Vec3{300, 2500, 0}};
    std::vector<std::array<Vec3, 3>> parts;
    cutInHalves(whole, 350, parts);
    double sum = 0;
    for (const auto& t : parts) {
        sum += areaOfTriangle(t);
        for (std::size_t i = 0; i < 3; ++i)
            EXPECT_LE(norm(t[(i + 1) % 3] - t[i]), 350 + 1e-9);
    }
    EXPECT_NEAR(sum, areaOfTriangle(whole), 1e-3);
    EXPECT_GT(parts.size(), 80U);
}

// 20 by 15 by 8 ft, with a window of 5 by 4 and a door of 32 by 80 inches.
TEST(RoomBodies, AreAsLargeAsTheRoomWithItsOpenings) {
    const auto areas = areasOf(jobWith({}));
    EXPECT_NEAR(areas.at(Made::floor), 300, 1e-3);
    EXPECT_NEAR(areas.at(Made::ceiling), 300, 1e-3);
    EXPECT_NEAR(areas.at(Made::glass), 20, 1e-3);
    EXPECT_NEAR(areas.at(Made::door), 32.0 * 80 / 144, 1e-3);
    EXPECT_NEAR(areas.at(Made::wall), 2 * (20 + 15) * 8 - 20 - 32.0 * 80 / 144, 1e-3);
    EXPECT_EQ(areas.count(Made::piece), 0U);
}

TEST(RoomBodies, AnOpeningWithoutALeafIsOpen) {
    const auto job = jobWith({}, "room Arch\nceiling 8'\nwall A 12'\nwall B 10'\n opening 3' from "
                                 "left, 4' wide, 7' high\nwall C 12'\nwall D 10'\n");
    EXPECT_NEAR(areasOf(job).at(Made::wall), 44 * 8 - 28, 1e-3);
    // A ray through it leaves the room, one beside it does not.
    std::vector<Rays::Triangle> all;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        for (const auto& t : f.triangles)
            all.push_back({t, f.normal});
    const Rays rays(all);
    const double foot = 304.8;
    EXPECT_FALSE(rays.first({6 * foot, 5 * foot, 4 * foot}, {1, 0, 0}));
    const auto over = rays.first({6 * foot, 5 * foot, 7.5 * foot}, {1, 0, 0});
    ASSERT_TRUE(over);
    EXPECT_NEAR(over->away, 6 * foot, 0.5);
    EXPECT_TRUE(over->front);
}

TEST(RoomBodies, ASlopeIsFollowedByItsCeiling) {
    const auto job =
        jobWith({}, "room Attic\nceiling 9'\nslope wall A, knee 5', full at 6'\nwall A 16'\n"
                    "wall B 12'\nwall C 16'\nwall D 12'\n");
    double least = 1e300;
    double most = 0;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        if (f.made == Made::ceiling)
            for (const auto& t : f.triangles)
                for (const Vec3 c : t) {
                    least = std::min(least, c.z);
                    most = std::max(most, c.z);
                    EXPECT_NEAR(c.z, job.room->ceilingAt(c.plan()).mm(), 25);
                }
    EXPECT_NEAR(least, 5 * 304.8, 25);
    EXPECT_NEAR(most, 9 * 304.8, 1);
}

TEST(PieceBodies, AreClosedWhateverTheyAre) {
    for (const char* kind :
         {"sofa", "armchair", "dining chair", "dining table", "round table", "bed", "bookcase",
          "sideboard", "corner sofa", "floor plant", "ottoman", "desk", "television"}) {
        const auto job =
            jobWith({fmt::format("{} called Alba at 10', 8', turned 30",
                                 kind == std::string("television") ? "armoire" : kind)});
        const Vec3 open = openness(job, "Alba");
        EXPECT_NEAR(open.x, 0, 1e-3) << kind;
        EXPECT_NEAR(open.y, 0, 1e-3) << kind;
        EXPECT_NEAR(open.z, 0, 1e-3) << kind;
        EXPECT_GT(volumeOf(job, "Alba"), 0) << kind;
    }
}

TEST(PieceBodies, OfBoxesAreTheirVolume) {
    EXPECT_NEAR(volumeOf(jobWith({"sideboard 60 x 18 x 34 at 10', 8', turned 40"}), "Sideboard"),
                60 * 18 * 34, 60 * 18 * 34 * 0.002);
    // On a wall it stands out by its depth, whatever its turn there.
    EXPECT_NEAR(volumeOf(jobWith({"picture 30 x 24 on wall B, centre at 60"}), "Picture"),
                30 * 24 * 1.25, 0.01);
    // On a top it is on that.
    const auto job = jobWith({"console against wall B", "storage basket on console"});
    const int id = job.scheme().byName("Storage basket")->id;
    double low = 1e300;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        if (f.made == Made::piece && f.of == id)
            for (const auto& t : f.triangles)
                for (const Vec3 c : t)
                    low = std::min(low, c.z);
    EXPECT_NEAR(low, job.scheme().byName("Console")->top().mm(), 0.01);
}

TEST(PieceBodies, ATableLetsLightThroughUnderIt) {
    // Its top, its corners turned at 2 in, and four legs, and nothing between.
    const auto job = jobWith({"dining table 72 x 36 x 30 at 10', 8'"});
    const double in = 25.4;
    const double legs = 4 * (50 / in) * (50 / in) * (30 - 35 / in);
    const double top = 72 * 36 - (4 - std::numbers::pi) * 2 * 2;
    EXPECT_NEAR(volumeOf(job, "Dining table"), top * 35 / in + legs, 1);
}

TEST(PieceBodies, LightsAndRugsHaveNone) {
    const auto job = jobWith({"floor lamp at 4', 4'", "pendant at 10', 8'",
                              "rug 8' x 5' at 10', 8'", "sconce on wall A, at 3', 68"});
    EXPECT_EQ(areasOf(job).count(Made::piece), 0U);
}

TEST(PieceBodies, AUnitIsOpenInItsOpenings) {
    const auto job = jobWith({"bookcase 36 x 12 x 78 against wall B, centred on wall B"});
    std::vector<Rays::Triangle> all;
    for (const Face& f : solidsOf(**sceneOf(job)).faces)
        for (const auto& t : f.triangles)
            all.push_back({t, f.normal});
    const Rays rays(all);
    const auto on = surfaceOf(**sceneOf(job), inOpening(job.scheme().byName("Bookcase")->id, 2));
    ASSERT_TRUE(on);
    // From before an opening one comes to its back, 12 in less the board behind.
    const Vec3 middle = on->at({17.25 * 25.4, 6 * 25.4}, Length::inches(4));
    const Vec3 inward{1, 0, 0}; // toward wall B
    const auto met = rays.first(middle - inward * (12 * 25.4), inward);
    ASSERT_TRUE(met);
    EXPECT_NEAR(met->away, (12 + 6) * 25.4 - 8, 1);
}
