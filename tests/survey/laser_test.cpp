#include "survey/laser.h"

#include <gtest/gtest.h>

using namespace mezzet;

TEST(Laser, ALineReadsBackAsItWasWritten) {
    const auto r = readLaserLine("reading 7 4571.6 mm 2026-11-24T09:15:03");
    ASSERT_TRUE(r) << r.problem().text();
    EXPECT_EQ(r->number, 7);
    EXPECT_NEAR(r->distance.mm(), 4571.6, 1e-9);
    EXPECT_EQ(r->time, "2026-11-24T09:15:03");
    EXPECT_EQ(writeLaserLine(*r), "reading 7 4571.6 mm 2026-11-24T09:15:03");
    EXPECT_NEAR(readLaserLine("reading 1 4.5716 m t")->distance.mm(), 4571.6, 1e-9);
    EXPECT_NEAR(readLaserLine("reading 1 98.5 in t")->distance.inInches(), 98.5, 1e-9);
}

TEST(Laser, WhatIsNoReadingIsSaid) {
    for (const char* line : {"", "reading", "reading x 1 mm", "reading 1 mm", "reading 1 4571",
                             "reading 1 -3 mm t", "reading 1 0 mm t", "reading 1 999 km t",
                             "reading 1 nan mm t", "hello", "reading 1 1e9 m"})
        EXPECT_FALSE(readLaserLine(line)) << line;
    EXPECT_FALSE(readLaserLine(std::string("reading 1 1 mm \xff\xfe")));
}

TEST(Laser, ItsNoiseIsWhatItSays) {
    std::mt19937 random(12);
    const LaserNoise noise{Length::millimetres(1.5), 1e-4, 0};
    double sum = 0, squares = 0;
    constexpr int n = 20000;
    for (int i = 0; i < n; ++i) {
        const double e = simulatedReading(Length::metres(5), noise, random).mm() - 5000;
        sum += e;
        squares += e * e;
    }
    const double sigma = std::hypot(1.5, 0.5);
    EXPECT_NEAR(sum / n, 0, 4 * sigma / std::sqrt(n));
    EXPECT_NEAR(std::sqrt(squares / n), sigma, 0.04);
    int slips = 0;
    for (int i = 0; i < 5000; ++i) {
        bool slipped = false;
        const Length l = simulatedReading(Length::metres(5), {Length::millimetres(1.5), 1e-4, 0.1},
                                          random, &slipped);
        slips += slipped ? 1 : 0;
        if (slipped)
            EXPECT_GT(abs(l - Length::metres(5)).mm(), 8) << "a slip is no mere noise";
    }
    EXPECT_NEAR(slips, 500, 90);
}

TEST(Laser, AWalkGoesRoundTheRoom) {
    const auto notes = readTapeNotes(
        "ceiling 8'\nwall A 10'\nwall B 8'\nwall C 10'\nwall D 8'\ndiagonal A to C 12' 9 3/4\"");
    const auto walk = walkOf(notes->front());
    ASSERT_EQ(walk.size(), 6U);
    EXPECT_EQ(walk[1].what, "wall B");
    EXPECT_EQ(walk[4].what, "diagonal A to C");
    EXPECT_NEAR(walk[5].truth.inInches(), 96, 1e-9);
}
