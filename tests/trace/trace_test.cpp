#include "room/room.h"
#include "trace/trace.h"

#include <gtest/gtest.h>

#include <fmt/format.h>

#include <algorithm>

using namespace mezzet;

namespace {

constexpr Units feet = Units::feetAndInches;

RoomPtr room(const std::string& notes) {
    auto r = roomFromNotes(notes);
    if (!r)
        throw std::runtime_error(r.problem().text() + "\n" + notes);
    return *r;
}

/// A camera's view: a projective map of the plane.
Vec2 seen(Vec2 p) {
    const double w = 1 + 0.00009 * p.x + 0.00013 * p.y;
    return {(60 + 0.9 * p.x + 0.11 * p.y) / w, (40 + 0.05 * p.x + 0.83 * p.y) / w};
}

} // namespace

TEST(Straighten, FourCornersBringAPhotographBackToTrue) {
    const std::array<Vec2, 4> corners{seen({0, 0}), seen({1200, 0}), seen({1200, 900}),
                                      seen({0, 900})};
    const auto s = Straightener::of(corners, 1200, 900);
    ASSERT_TRUE(s) << s.problem().text();
    for (const Vec2 p : {Vec2{0, 0}, Vec2{1200, 900}, Vec2{300, 700}, Vec2{2000, -400}})
        EXPECT_NEAR(norm(s->map(seen(p)) - p), 0, 1e-6);
}

TEST(Straighten, WhatIsNoRectangleIsRefused) {
    EXPECT_FALSE(Straightener::of({Vec2{0, 0}, {1, 0}, {2, 0}, {3, 0}}, 3, 2)) << "in a line";
    EXPECT_FALSE(Straightener::of({Vec2{0, 0}, {9, 9}, {9, 0}, {0, 9}}, 3, 2)) << "crossed";
    EXPECT_FALSE(Straightener::of({Vec2{0, 0}, {0, 9}, {9, 9}, {9, 0}}, 3, 2)) << "the wrong way";
    EXPECT_FALSE(Straightener::of({Vec2{0, 0}, {9, 0}, {9, 9}, {0, 9}}, 0, 2)) << "no size";
    EXPECT_FALSE(Straightener::of({Vec2{0, 0}, {9, 0}, {9, 9}, {NAN, 9}}, 3, 2));
}

TEST(Scale, OneLengthGivesItSeveralGiveItsError) {
    const auto one = fitScale({{{0, 0}, {300, 400}, Length::metres(5)}});
    ASSERT_TRUE(one);
    EXPECT_NEAR(one->mmPerPixel, 10, 1e-12);
    EXPECT_EQ(one->error, 0);
    // Worked by hand: 100 px = 1000 mm and 200 px = 2030 mm; the fit through the origin is
    // (100·1000 + 200·2030) / (100² + 200²) = 10.12 mm a pixel, off by +12 and -6 mm.
    const auto two = fitScale({{{0, 0}, {100, 0}, Length::millimetres(1000)},
                               {{0, 0}, {0, 200}, Length::millimetres(2030)}});
    ASSERT_TRUE(two);
    EXPECT_NEAR(two->mmPerPixel, 10.12, 1e-12);
    EXPECT_NEAR(two->misfits[0].mm(), 12, 1e-9);
    EXPECT_NEAR(two->misfits[1].mm(), -6, 1e-9);
    EXPECT_NEAR(two->error, std::sqrt(180.0 / 50000) / 10.12, 1e-12);
    EXPECT_FALSE(fitScale({}));
    EXPECT_FALSE(fitScale({{{0, 0}, {1, 1}, Length::metres(5)}})) << "too close to scale by";
    EXPECT_FALSE(fitScale({{{0, 0}, {100, 1}, Length{}}}));
}

TEST(Snap, ClicksComeToRightAngles) {
    const std::vector<Vec2> one{{0, 0}};
    EXPECT_TRUE(snapClick(one, {100, 4}, 7, 5).square);
    EXPECT_EQ(snapClick(one, {100, 4}, 7, 5).at.y, 0);
    EXPECT_FALSE(snapClick(one, {100, 60}, 7, 5).square) << "a canted wall stays canted";
    const std::vector<Vec2> three{{0, 0}, {100, 0}, {100, 80}};
    const auto last = snapClick(three, {2, 79}, 7, 5);
    EXPECT_EQ(last.at, (Vec2{0, 80})) << "in line with the first corner, so that it closes square";
    EXPECT_TRUE(snapClick(three, {2, 3}, 7, 5).closes);
    EXPECT_FALSE(snapClick(one, {100, 4}, 0, 5).square) << "snapping can be off";
}

TEST(TracedNotes, ARoomComesOutAsItWasDrawn) {
    TracedRoom t;
    t.byEye = false;
    t.corners = {{0, 0}, {5000, 0}, {5000, 2000}, {3000, 2000}, {3000, 4000}, {0, 4000}};
    t.openings = {{OpeningKind::window, {1000, 0}, {2500, 0}},
                  {OpeningKind::door, {0, 3000}, {0, 2200}}};
    for (const bool backwards : {false, true}) {
        if (backwards)
            std::reverse(t.corners.begin(), t.corners.end());
        const auto notes = notesOf(t, feet);
        ASSERT_TRUE(notes) << notes.problem().text();
        const auto r = room(*notes);
        EXPECT_TRUE(r->closed) << r->closure.words;
        EXPECT_NEAR(r->floorArea(), 16e6, 100);
        ASSERT_EQ(r->openings.size(), 2U);
        EXPECT_NEAR(r->openings[0].width.mm() + r->openings[1].width.mm(), 2300, 0.1);
    }
}

TEST(TracedNotes, PointsAlongAStraightWallAreNoCorners) {
    TracedRoom t;
    t.corners = {{0, 0}, {2000, 0}, {4000, 0}, {4000, 3000}, {0, 3000}, {0, 3000}, {0, 1000}};
    const auto notes = notesOf(t, Units::millimetres);
    ASSERT_TRUE(notes);
    EXPECT_EQ(room(*notes)->walls.size(), 4U);
    EXPECT_NE(notes->find("taken by eye"), std::string::npos) << "a picture is not that sure";
}

TEST(TracedNotes, WhatMakesNoRoomIsRefused) {
    TracedRoom t;
    EXPECT_FALSE(notesOf(t, feet));
    t.corners = {{0, 0}, {4000, 0}, {0, 3000}, {4000, 3000}};
    EXPECT_NE(notesOf(t, feet).problem().what.find("crosses itself"), std::string::npos);
    t.corners = {{0, 0}, {4000, 0}, {4000, 3000}, {0, 3000}};
    t.openings = {{OpeningKind::door, {2000, 1500}, {2800, 1500}}};
    EXPECT_NE(notesOf(t, feet).problem().what.find("on no wall"), std::string::npos);
}

TEST(Tracing, ASkewedPhotographOfARoomIsTracedToScale) {
    // A room of 6 x 4.5 m photographed askew; a table top of 1.2 x 0.9 m is the known rectangle.
    const auto at = [](double x, double y) {
        const Vec2 p = seen({x, y});
        return fmt::format("{:.3f},{:.3f}", p.x, p.y);
    };
    const std::string text = "# clicked on a photograph\nroom Study\nrectangle " + at(300, 300) +
                             " " + at(420, 300) + " " + at(420, 390) + " " + at(300, 390) +
                             " = 1.2m x 0.9m\nscale " + at(100, 100) + " " + at(700, 100) +
                             " = 6m\ncorner " + at(100, 100) + "\ncorner " + at(700, 100) +
                             "\ncorner " + at(700, 550) + "\ncorner " + at(100, 550) + "\nwindow " +
                             at(200, 100) + " " + at(350, 100) + "\n";
    const auto t = readTracing(text, Units::millimetres, "study.trace");
    ASSERT_TRUE(t) << t.problem().text();
    ScaleFit fit;
    const auto notes = notesOf(*t, Units::millimetres, &fit);
    ASSERT_TRUE(notes) << notes.problem().text();
    EXPECT_EQ(fit.misfits.size(), 2U);
    EXPECT_LT(fit.error, 1e-4);
    const auto r = room(*notes);
    EXPECT_EQ(r->name, "Study");
    EXPECT_TRUE(r->closed);
    EXPECT_NEAR(r->walls[0].length().mm(), 6000, 2);
    EXPECT_NEAR(r->walls[1].length().mm(), 4500, 2);
    EXPECT_NEAR(r->openings.at(0).width.mm(), 1500, 2);
}

TEST(Tracing, AFaultNamesLineAndColumn) {
    struct Case {
        const char* text;
        int line;
        int column;
    };
    for (const auto& c : {Case{"corner 1,2\ncornr 3,4", 2, 1}, Case{"corner 1;2", 1, 8},
                          Case{"scale 1,2 3,4", 1, 14}, Case{"scale 1,2 3,4 = far", 1, 17},
                          Case{"rectangle 0,0 9,0 9,9 0,9 = 3'", 1, 31}, Case{"room", 1, 5},
                          Case{"scale 1,2 3,4 = 0", 1, 17}, Case{"corner nan,4", 1, 8}}) {
        const auto t = readTracing(c.text, feet, "f");
        ASSERT_FALSE(t) << c.text;
        EXPECT_EQ(t.problem().line, c.line) << t.problem().text();
        EXPECT_EQ(t.problem().column, c.column) << c.text << " " << t.problem().text();
        EXPECT_FALSE(t.problem().remedy.empty());
    }
}
