// Carpets cut to random rooms: points thrown at the floor are on the carpet just where nothing is
// nearer than its border.
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "rugs/cut_to_room.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <algorithm>
#include <random>

using namespace mezzet;

namespace {

/// An L with a chimney in one wall and a hearth before it, of random sizes.
std::string notesOf(std::mt19937& random) {
    const auto whole = [&](int low, int high) {
        return low + static_cast<int>(random() % static_cast<unsigned>(high - low + 1));
    };
    const int wide = whole(200, 320);
    const int deep = whole(160, 260);
    const int biteWide = whole(50, wide / 2 - 20);
    const int biteDeep = whole(40, deep / 2 - 10);
    const int fire = whole(40, 60);
    const int at = whole(40, wide - fire - 40);
    return fmt::format("room R\nceiling 8'\nwall A {}\n fireplace {} from left, {} wide, {} deep, "
                       "hearth {}\nwall B {}\nwall C {}\ncorner out\nwall D {}\nwall E {}\nwall F "
                       "{}\n",
                       wide, at, fire, whole(6, 20), whole(10, 24), deep - biteDeep, biteWide,
                       biteDeep, wide - biteWide, deep);
}

/// How far a point is from a wall across it, where it lies before the wall or beside its end no
/// farther than `beside`; far for the others.
double across(const Wall& w, Vec2 p, double beside) {
    const double along = dot(p - w.start, w.along());
    if (along < -beside || along > w.length().mm() + beside)
        return 1e9;
    return dot(p - w.start, w.inward());
}

} // namespace

TEST(CutToRandomRooms, IsBareJustInsideTheBorder) {
    std::mt19937 random(41);
    int on = 0;
    int off = 0;
    for (int round = 0; round < 60; ++round) {
        const auto room = roomFromNotes(notesOf(random));
        ASSERT_TRUE(room) << room.problem().text();
        ASSERT_TRUE((*room)->closed);
        const double border = (4.0 + random() % 14) * 25.4;
        const double hearth = (2.0 + random() % 8) * 25.4;
        RoomCut cut;
        cut.offWall.assign((*room)->walls.size(), Length::millimetres(border));
        cut.offFixture.assign((*room)->fixtures.size(), Length::millimetres(border));
        cut.offHearth.assign((*room)->fixtures.size(), Length::millimetres(hearth));
        std::vector<std::string> told;
        const auto corners = cutToRoom(**room, cut, told);
        ASSERT_TRUE(corners) << corners.problem().text();
        EXPECT_FALSE(selfCrossing(*corners));
        EXPECT_GT(signedArea(*corners), 0);
        if (!told.empty())
            continue; // in parts: only the largest is cut
        const Box box = (*room)->bounds();
        for (int k = 0; k < 200; ++k) {
            const Vec2 p{box.low.x + box.size().x * (random() % 10000) / 10000.0,
                         box.low.y + box.size().y * (random() % 10000) / 10000.0};
            if (!insideOutline((*room)->edge, p))
                continue;
            double spare = 1e9; // how far inside every border
            for (const Wall& w : (*room)->walls) {
                const double d = across(w, p, 0);
                if (d > -0.05)
                    spare = std::min(spare, d - border);
            }
            // The square at the outside corner.
            for (std::size_t i = 0; i < (*room)->walls.size(); ++i) {
                const Wall& w = (*room)->walls[i];
                const Wall& before =
                    (*room)->walls[(i + (*room)->walls.size() - 1) % (*room)->walls.size()];
                if (cross(before.along(), w.along()) >= 0)
                    continue;
                const Vec2 o = p - w.start;
                if (dot(o, w.inward()) >= 0 && dot(o, before.inward()) >= 0)
                    spare = std::min(spare, std::max(dot(o, w.inward()), dot(o, before.inward())) -
                                                border);
            }
            const auto parts = takenBy(**room, (*room)->fixtures.front());
            for (std::size_t part = 0; part < parts.size(); ++part) {
                const double by = part + 1 == parts.size() ? hearth : border;
                Box b;
                for (const Vec2 c : parts[part])
                    b.include(c);
                const double dx = std::max({b.low.x - p.x, p.x - b.high.x, 0.0});
                const double dy = std::max({b.low.y - p.y, p.y - b.high.y, 0.0});
                spare = std::min(spare, std::max(dx, dy) - by);
            }
            if (std::abs(spare) < 0.05)
                continue; // on the edge itself
            EXPECT_EQ(insideOutline(*corners, p), spare > 0)
                << "round " << round << " at " << p.x << ", " << p.y << ": " << spare;
            ++(spare > 0 ? on : off);
        }
    }
    EXPECT_GT(on, 1500);
    EXPECT_GT(off, 1500);
}

TEST(CutToRandomRooms, GrowsNarrowerAsTheBorderGrows) {
    std::mt19937 random(43);
    for (int round = 0; round < 40; ++round) {
        const auto room = roomFromNotes(notesOf(random));
        ASSERT_TRUE(room);
        double before = 1e18;
        for (const double inches : {0.0, 4.0, 8.0, 12.0, 16.0}) {
            RoomCut cut;
            cut.offWall.assign((*room)->walls.size(), Length::inches(inches));
            cut.offFixture.assign((*room)->fixtures.size(), Length::inches(inches));
            cut.offHearth = cut.offFixture;
            std::vector<std::string> told;
            const auto corners = cutToRoom(**room, cut, told);
            ASSERT_TRUE(corners);
            const double area = signedArea(*corners);
            EXPECT_LT(area, before);
            before = area;
        }
    }
}
