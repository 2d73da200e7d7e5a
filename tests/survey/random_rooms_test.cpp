// Rooms made up at random, taped exactly and with slips: what is exact closes to nothing, what is
// spread keeps its shape, what slipped is left open.
#include "geometry/polygon.h"
#include "room/room.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

#include <random>

using namespace mezzet;

namespace {

/// A convex room of some corners about a circle, with wall A along x, in millimetres.
std::vector<Vec2> roundish(std::mt19937& random, int corners) {
    std::uniform_real_distribution<double> wobble(0.75, 1.25);
    std::vector<Vec2> out;
    double total = 0;
    std::vector<double> steps;
    for (int i = 0; i < corners; ++i)
        total += steps.emplace_back(wobble(random));
    double angle = 0;
    for (int i = 0; i < corners; ++i) {
        out.push_back(Vec2{std::cos(angle), std::sin(angle)} * 2500);
        angle += steps[static_cast<std::size_t>(i)] / total * 2 * 3.141592653589793;
    }
    const Vec2 start = out[0];
    const Angle back = -directionOf(out[1] - out[0]);
    for (Vec2& p : out)
        p = turned(p - start, back);
    return out;
}

/// Its notes, with every run stretched by a share of its own.
std::string notesOf(const std::vector<Vec2>& c, const std::vector<double>& stretch) {
    std::string out = "units mm\n";
    const std::size_t n = c.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Vec2 here = c[(i + 1) % n] - c[i];
        const Vec2 next = c[(i + 2) % n] - c[(i + 1) % n];
        const double turn = difference(directionOf(next), directionOf(here)).inDegrees();
        out += fmt::format("wall {} {:.9f}mm\ncorner {:.9f}\n", wallName(static_cast<int>(i)),
                           norm(here) * stretch[i], 180 - turn);
    }
    return out;
}

} // namespace

TEST(RandomRooms, TapedExactlyTheyCloseToNothing) {
    std::mt19937 random(31);
    for (int i = 0; i < 200; ++i) {
        const auto corners = roundish(random, 3 + static_cast<int>(random() % 9));
        const auto r = roomFromNotes(notesOf(corners, std::vector<double>(corners.size(), 1.0)));
        ASSERT_TRUE(r) << r.problem().text();
        ASSERT_TRUE((*r)->closed) << (*r)->closure.words;
        EXPECT_LT((*r)->closure.misclosure.mm(), 0.001);
        for (std::size_t k = 0; k < corners.size(); ++k)
            EXPECT_NEAR(norm((*r)->walls[k].start - corners[k]), 0, 0.01);
        EXPECT_NEAR((*r)->floorArea(), signedArea(corners), 10);
    }
}

TEST(RandomRooms, SmallErrorsAreSpreadAndNoWallTakesMoreThanTheMisclosure) {
    std::mt19937 random(32);
    std::normal_distribution<double> slip(0, 0.0008);
    int spread = 0;
    for (int i = 0; i < 200; ++i) {
        const auto corners = roundish(random, 4 + static_cast<int>(random() % 7));
        std::vector<double> stretch;
        for (std::size_t k = 0; k < corners.size(); ++k)
            stretch.push_back(1 + slip(random));
        const auto r = roomFromNotes(notesOf(corners, stretch));
        ASSERT_TRUE(r);
        if (!(*r)->closed)
            continue;
        ++spread;
        const auto& c = (*r)->closure;
        for (std::size_t k = 0; k < corners.size(); ++k)
            EXPECT_LE(abs(c.corrections[k]).mm(), c.misclosure.mm() + 1e-6);
        const auto& w = (*r)->walls;
        EXPECT_NEAR(norm(w.back().end - w.front().start), 0, 1e-9) << "it is closed now";
        EXPECT_NEAR(w.front().end.y, 0, 1e-9) << "and wall A lies along x";
        // Misclosure and its ratio are the same thing told twice.
        EXPECT_NEAR(c.ratio * c.misclosure.mm(), c.perimeter.mm(), 1e-6);
    }
    EXPECT_GT(spread, 190);
}

TEST(RandomRooms, ADroppedFootLeavesThemOpen) {
    std::mt19937 random(33);
    for (int i = 0; i < 200; ++i) {
        const auto corners = roundish(random, 4 + static_cast<int>(random() % 5));
        std::vector<double> stretch(corners.size(), 1.0);
        const auto at = random() % corners.size();
        const double run = norm(corners[(at + 1) % corners.size()] - corners[at]);
        stretch[at] = (run - 304.8) / run;
        const auto r = roomFromNotes(notesOf(corners, stretch));
        ASSERT_TRUE(r);
        EXPECT_FALSE((*r)->closed);
        EXPECT_NEAR((*r)->closure.misclosure.mm(), 304.8, 0.01);
        EXPECT_NE((*r)->closure.words.find("Measure again"), std::string::npos);
    }
}

TEST(RandomRooms, DiagonalsAreCheckedAgainstTheAdjustedCorners) {
    std::mt19937 random(34);
    for (int i = 0; i < 100; ++i) {
        const auto corners = roundish(random, 5);
        const std::vector<double> exact(5, 1.0);
        const double d = norm(corners[3] - corners[0]);
        const auto right =
            roomFromNotes(notesOf(corners, exact) + fmt::format("diagonal A to D {:.6f}mm\n", d));
        ASSERT_TRUE(right);
        EXPECT_TRUE((*right)->diagonals.at(0).agrees);
        const auto wrong = roomFromNotes(notesOf(corners, exact) +
                                         fmt::format("diagonal A to D {:.6f}mm\n", d + 300));
        EXPECT_FALSE((*wrong)->diagonals.at(0).agrees);
    }
}
