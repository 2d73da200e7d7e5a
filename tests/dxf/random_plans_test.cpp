// Rooms made up at random go out as DXF, or are seen askew, and come back as they were.
#include "dxf/dxf.h"
#include "jobs.h"
#include "survey/rooms_made.h"

#include <fstream>
#include <unistd.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Notes of a stepped room with a window in its first wall and a door in its last.
std::string furnishedNotes(const std::vector<Vec2>& c, std::mt19937& random) {
    std::uniform_real_distribution<double> share(0.1, 0.4);
    std::string out = "units mm\nceiling 2500\n";
    const std::size_t n = c.size();
    for (std::size_t i = 0; i < n; ++i) {
        const double run = norm(c[(i + 1) % n] - c[i]);
        out += fmt::format("wall {} {:.4f}\n", wallName(static_cast<int>(i)), run);
        if (i == 0)
            out += fmt::format(" window {:.2f} from left, {:.2f} wide\n", run * share(random),
                               run * 0.3);
        if (i + 1 == n)
            out += fmt::format(" door {:.2f} from left, 800 wide, hinge left, swings in\n",
                               run * share(random));
        const double a = insideDegrees(c, i);
        if (std::abs(a - 270) < 1e-6)
            out += "corner out\n";
        else if (std::abs(a - 90) > 1e-6)
            out += fmt::format("corner {:.8f}\n", a);
    }
    return out;
}

} // namespace

TEST(RandomPlans, GoOutAsDxfAndComeBack) {
    std::mt19937 random(61);
    const auto path =
        std::filesystem::temp_directory_path() / fmt::format("mezzet-plans-{}.dxf", ::getpid());
    for (int i = 0; i < 60; ++i) {
        const auto room = *roomFromNotes(furnishedNotes(steppedRoom(random), random));
        ASSERT_TRUE(room->closed) << room->closure.words;
        const auto scene = *resolve(room, std::make_shared<const Scheme>(), {});
        const auto text = dxfText(*scene);
        ASSERT_TRUE(text);
        std::ofstream(path) << *text;
        const auto sheet = readDxf(path);
        ASSERT_TRUE(sheet) << sheet.problem().text();
        const Vec2 m = room->middle();
        const auto found = findRoom(*sheet, guessRoles(*sheet), *sheet->unitMm, m);
        ASSERT_TRUE(found) << i << " " << found.problem().text();
        const auto notes = notesOf(*found, Units::millimetres);
        ASSERT_TRUE(notes) << notes.problem().text();
        const auto back = roomFromNotes(*notes);
        ASSERT_TRUE(back) << back.problem().text() << *notes;
        EXPECT_TRUE((*back)->closed);
        EXPECT_EQ((*back)->walls.size(), room->walls.size()) << *notes;
        // Lengths are written to a hundredth of a millimetre.
        EXPECT_NEAR((*back)->floorArea(), room->floorArea(), room->perimeter().mm() * 0.01);
        ASSERT_EQ((*back)->openings.size(), 2U) << *notes;
        double window = 0, door = 0;
        for (const auto& o : (*back)->openings)
            (o.kind == OpeningKind::window ? window : door) = o.width.mm();
        EXPECT_NEAR(window, room->openings[0].width.mm(), 0.02);
        EXPECT_NEAR(door, 800, 0.02);
    }
    std::filesystem::remove(path);
}

TEST(RandomPlans, SeenAskewAreStraightened) {
    std::mt19937 random(62);
    std::uniform_real_distribution<double> tilt(-0.00008, 0.00008);
    std::uniform_real_distribution<double> shear(-0.2, 0.2);
    for (int i = 0; i < 200; ++i) {
        const double a = tilt(random), b = tilt(random), c = shear(random), d = shear(random);
        const auto seen = [&](Vec2 p) {
            const double w = 1 + a * p.x + b * p.y;
            return Vec2{(400 + p.x + c * p.y) / w * 0.1, (300 + d * p.x + p.y) / w * 0.1};
        };
        Tracing t;
        t.corners = {seen({500, 500}), seen({1700, 500}), seen({1700, 1400}), seen({500, 1400})};
        t.width = Length::millimetres(1200);
        t.height = Length::millimetres(900);
        const auto truth = steppedRoom(random);
        for (const Vec2 p : truth)
            t.room.corners.push_back(seen(p));
        t.snap = false;
        ScaleFit fit;
        const auto notes = notesOf(t, Units::millimetres, &fit);
        ASSERT_TRUE(notes) << notes.problem().text();
        const auto room = roomFromNotes(*notes);
        ASSERT_TRUE(room) << room.problem().text() << *notes;
        EXPECT_NEAR((*room)->floorArea(), signedArea(truth), signedArea(truth) * 0.002) << *notes;
    }
}

TEST(RandomPlans, ClicksAFewPixelsOffSnapToTheRoomMeant) {
    std::mt19937 random(63);
    std::normal_distribution<double> off(0, 0.6);
    for (int i = 0; i < 200; ++i) {
        Tracing t;
        const double w = 300 + static_cast<double>(random() % 300);
        const double h = 250 + static_cast<double>(random() % 200);
        t.lengths = {{{0, 0}, {w, 0}, Length::millimetres(w * 10)}};
        for (const Vec2 p : {Vec2{0, 0}, Vec2{w, 0}, Vec2{w, h * 0.4}, Vec2{w * 0.5, h * 0.4},
                             Vec2{w * 0.5, h}, Vec2{0, h}})
            t.room.corners.push_back(p + Vec2{off(random), off(random)});
        const auto notes = notesOf(t, Units::millimetres);
        ASSERT_TRUE(notes);
        EXPECT_EQ(notes->find("corner 9"), std::string::npos) << "every corner is square\n"
                                                              << *notes;
        EXPECT_EQ(notes->find("corner 8"), std::string::npos) << *notes;
        const auto room = roomFromNotes(*notes);
        ASSERT_TRUE(room);
        EXPECT_TRUE((*room)->closed) << *notes << (*room)->closure.words;
        EXPECT_NEAR((*room)->floorArea() / 1e6, w * h * 0.7 / 1e4, w * h * 0.7 / 1e4 * 0.03);
    }
}
