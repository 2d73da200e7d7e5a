// What a mirror shows, against rays traced one by one.
#include "hang/mirror.h"
#include "jobs.h"

#include <array>
#include <cmath>
#include <map>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

struct Ray {
    std::array<double, 3> from;
    std::array<double, 3> way;
};

/// Where a ray enters an upright box, by slabs; below 0 when it doesn't.
double enters(const Ray& r, const std::array<double, 3>& low, const std::array<double, 3>& high) {
    double near = 1e-6;
    double far = 1e18;
    for (std::size_t i = 0; i < 3; ++i) {
        if (std::abs(r.way[i]) < 1e-15) {
            if (r.from[i] < low[i] || r.from[i] > high[i])
                return -1;
            continue;
        }
        double a = (low[i] - r.from[i]) / r.way[i];
        double b = (high[i] - r.from[i]) / r.way[i];
        if (a > b)
            std::swap(a, b);
        near = std::max(near, a);
        far = std::min(far, b);
    }
    return near <= far ? near : -1;
}

/// Shares of a mirror in wall A (its face at y = depth) by a grid of rays, in a room of unturned
/// boxes. The looker's own seat is left out until the glass, as the program leaves it.
std::map<std::string, double> traced(const Project& job, std::size_t mirror, const Looker& l) {
    const auto scene = *sceneOf(job);
    const Box b = bounds(scene->walls.placed[mirror].shape);
    const double face = WallsView(*scene).hungPiece(mirror).size.depth.mm();
    std::map<std::string, double> out;
    double total = 0;
    const int steps = 260;
    for (int i = 0; i < steps; ++i)
        for (int k = 0; k < steps; ++k) {
            const double x = b.low.x + (b.high.x - b.low.x) * (i + 0.5) / steps;
            const double z = b.low.y + (b.high.y - b.low.y) * (k + 0.5) / steps;
            if (!contains(scene->walls.placed[mirror].shape, {x, z}))
                continue;
            total += 1;
            const Ray in{{l.at.x, l.at.y, l.eye.mm()}, {x - l.at.x, face - l.at.y, z - l.eye.mm()}};
            // A mirror turns the ray about its face.
            const Ray back{{x, face, z}, {in.way[0], -in.way[1], in.way[2]}};
            std::string what;
            double nearest = 1e18;
            bool hidden = false;
            for (std::size_t p = 0; p < scene->floor.placed.size(); ++p) {
                const Piece& piece = FloorView(*scene).piece(p);
                const Box f = bounds(scene->floor.placed[p].shape);
                const double base = baseOf(*scene, p).mm();
                const std::array<double, 3> low{f.low.x, f.low.y, base};
                const std::array<double, 3> high{f.high.x, f.high.y, base + piece.size.height.mm()};
                const double before = enters(in, low, high);
                if (before >= 0 && before < 1 && !(l.from == pieceTarget(piece.id)))
                    hidden = true;
                const double t = enters(back, low, high);
                if (t >= 0 && t < nearest) {
                    nearest = t;
                    what = piece.name;
                }
            }
            if (!hidden && !what.empty())
                out[what] += 1;
            if (hidden)
                out["hidden"] += 1;
        }
    for (auto& [name, n] : out)
        n /= total;
    return out;
}

double shareOf(const MirrorView& v, const Project& job, const char* name) {
    for (const auto& i : v.items)
        if (words(i.what, job.wording()) == name)
            return i.share;
    return 0;
}

} // namespace

TEST(Mirror, SharesAgreeWithRaysTracedOneByOne) {
    std::mt19937 random(21);
    std::uniform_real_distribution<double> x(30, 210);
    std::uniform_real_distribution<double> y(40, 150);
    int compared = 0;
    for (int round = 0; round < 12; ++round) {
        std::vector<std::string> lines{"mirror 48 x 40 x 1 on wall A, at 40, 55"};
        if (round % 2 == 1)
            lines.front() = "round mirror 44 on wall A, at 40, 55";
        for (const char* kind : {"sideboard 50 x 20 x 36", "side table 22 x 22 x 26",
                                 "bookcase 30 x 14 x 78", "low bookcase 30 x 33 x 33"})
            lines.push_back(std::string("add ") + kind + " at " + std::to_string(x(random)) + ", " +
                            std::to_string(y(random)) + ", turned 0");
        const auto job = jobWith(lines);
        const auto scene = *sceneOf(job);
        const Looker looker{{x(random) * 25.4, 174 * 25.4}, Length::inches(48), {}};
        const auto view = mirrorShows(*scene, 0, looker, 260);
        ASSERT_TRUE(view.seen);
        // Pieces that stand in each other have no order of their own to agree on.
        bool clash = false;
        for (std::size_t i = 0; i < scene->floor.placed.size(); ++i)
            for (std::size_t k = 0; k < i; ++k) {
                const Box a = bounds(scene->floor.placed[i].shape);
                const Box b = bounds(scene->floor.placed[k].shape);
                clash = clash || (a.low.x < b.high.x && b.low.x < a.high.x && a.low.y < b.high.y &&
                                  b.low.y < a.high.y);
            }
        if (clash)
            continue;
        ++compared;
        auto rays = traced(job, 0, looker);
        EXPECT_NEAR(view.hidden, rays["hidden"], 0.012) << round;
        for (const Piece& p : job.scheme().pieces) {
            // What has rounded corners is traced as a box here.
            if (p.footprint.form == FootprintForm::rectangle && p.footprint.corner <= quiet)
                EXPECT_NEAR(shareOf(view, job, p.name.c_str()), rays[p.name], 0.012)
                    << p.name << " in round " << round;
        }
    }
    EXPECT_GE(compared, 4);
}

TEST(Mirror, SharesAndWhatIsHiddenAddUpToTheWholeGlass) {
    const auto job = jobWith({"mirror 48 x 40 on wall A, at 40, 55",
                              "sofa 84 x 36 x 34 against wall C", "sideboard at 60, 60"});
    const auto scene = *sceneOf(job);
    for (const Looker& l : lookersOf(*scene, Length::inches(66))) {
        const auto v = mirrorShows(*scene, 0, l, 200);
        double sum = v.hidden;
        for (const auto& i : v.items)
            sum += i.share;
        EXPECT_NEAR(sum, 1, 1e-6);
    }
}

TEST(Mirror, StraightBeforeItOneSeesOneself) {
    const auto job = jobWith({"mirror 24 x 36 on wall A, at 120, 60"});
    const auto scene = *sceneOf(job);
    EXPECT_TRUE(mirrorShows(*scene, 0, {{120 * 25.4, 2000}, Length::inches(62), {}}).self);
    EXPECT_FALSE(mirrorShows(*scene, 0, {{160 * 25.4, 2000}, Length::inches(62), {}}).self);
    EXPECT_FALSE(mirrorShows(*scene, 0, {{120 * 25.4, 2000}, Length::inches(40), {}}).self)
        << "under its foot";
    EXPECT_FALSE(mirrorShows(*scene, 0, {{120 * 25.4, -500}, Length::inches(62), {}}).seen)
        << "behind the wall";
}

TEST(Mirror, OnTheGlassTheWayIsPartedAsTheTwoDistances) {
    // The looker 10 ft out, the thing 5 ft out: two thirds of the way along is the spot.
    const auto job = jobWith({"side table 1 x 1 x 1 at 12', 5', turned 0"});
    const auto scene = *sceneOf(job);
    const Looker l{{0, 10 * 304.8}, Length::inches(60), {}};
    const auto b = shownOn(*scene, 0, {}, l, pieceTarget(job.scheme().pieces[0].id));
    ASSERT_TRUE(b);
    EXPECT_NEAR(b->centre().x / 304.8, 8, 0.02);
    EXPECT_NEAR(b->low.y / 25.4, 60.0 / 3, 0.3);
}

TEST(Mirror, AMirrorThatCoversThatSpotShowsTheThing) {
    auto job = jobWith({"floor lamp at 14', 9'"});
    auto scene = *sceneOf(job);
    const Looker l{{3 * 304.8, 11 * 304.8}, Length::inches(44), {}};
    const auto lamp = pieceTarget(job.scheme().pieces[0].id);
    const auto b = shownOn(*scene, 0, Length::inches(1.5), l, lamp);
    ASSERT_TRUE(b);
    const auto with = [&](double x) {
        auto s = readLine("mirror 24 x 36 on wall A, at " + std::to_string(x / 25.4) + ", " +
                              std::to_string(b->centre().y / 25.4),
                          job);
        const auto next = *apply(job, s->edit);
        return shareOf(mirrorShows(*next.scene, 0, l), *next.project, "Floor lamp");
    };
    EXPECT_GT(with(b->centre().x), 0.15);
    EXPECT_EQ(with(b->centre().x + 1500), 0);
}

TEST(Lookers, SitAndStandAtTheirEyes) {
    // Drillis and Contini (from memory): eyes at 0.936 of stature standing, 0.46 over the seat.
    EXPECT_NEAR(standingEye(Length::inches(70)).inInches(), 65.52, 1e-9);
    EXPECT_NEAR(seatedEye(Length::inches(18), Length::inches(70)).inInches(), 18 + 32.2, 1e-9);
}
