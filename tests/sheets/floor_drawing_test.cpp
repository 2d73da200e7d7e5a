// What is drawn over the floor, and the reasons that are printed with it.
#include "jobs.h"
#include "sheets/draw_floor.h"
#include "sheets/printed.h"
#include "sheets/sheet.h"

#include <QImage>
#include <QPainter>
#include <QProcess>
#include <QTemporaryDir>

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

const char* hall() {
    return "ceiling 8'\nwall A 20'\n window 8' from left, 6' wide, 4' high, sill 30\nwall B 15'\n "
           "door 4' "
           "from left, 36 wide, hinge left, swings out\nwall C 20'\n door 2' from left, 36 wide, "
           "hinge "
           "left, swings out\nwall D 15'";
}

/// How many dots differ from the bare board, and where their middle is, in mm of the room.
struct Painted {
    int dots = 0;
    Vec2 middle;
};
template <class Draw> Painted painted(const Project& job, Draw draw) {
    constexpr double scale = 0.1;
    const QPointF origin(40, 40);
    const auto picture = [&](bool with) {
        QImage image(720, 560, QImage::Format_RGB32);
        image.fill(dayLook().board);
        QPainter p(&image);
        p.setRenderHint(QPainter::Antialiasing);
        const Drawing d{p, dayLook(), origin, scale, 1, job.notation};
        if (with)
            draw(d);
        return image;
    };
    loadFonts();
    const auto bare = picture(false);
    const auto done = picture(true);
    Painted out;
    Vec2 sum;
    for (int y = 0; y < bare.height(); ++y)
        for (int x = 0; x < bare.width(); ++x)
            if (bare.pixel(x, y) != done.pixel(x, y)) {
                ++out.dots;
                sum = sum + Vec2{(x - origin.x()) / scale, (y - origin.y()) / scale};
            }
    if (out.dots > 0)
        out.middle = sum / out.dots;
    return out;
}

QString textOf(const QString& pdf) {
    QProcess p;
    p.start("pdftotext", {"-layout", pdf, "-"});
    p.waitForFinished(60000);
    return QString::fromUtf8(p.readAllStandardOutput()).simplified();
}

} // namespace

TEST(FloorDrawing, RoomInUseIsDrawnWhereItIs) {
    const auto job = jobWith({"dresser against wall D, centred on wall D"}, hall());
    const auto zones = useZones(**sceneOf(job), *library().book);
    ASSERT_FALSE(zones.empty());
    const auto p = painted(job, [&](const Drawing& d) { drawUseZones(d, zones, job.notation); });
    EXPECT_GT(p.dots, 2000);
    // The drawers' floor lies before the chest: its middle 20 + 18 in from wall D, level with it.
    EXPECT_NEAR(p.middle.x, 38 * 25.4, 60);
    EXPECT_NEAR(p.middle.y, 90 * 25.4, 60);
}

TEST(FloorDrawing, WaysZonesViewsAndRegionsLeaveTheirMarks) {
    const auto job =
        jobWith({"sofa 84 x 36 at 8', 6'", "coffee table 15 from sofa, centred on sofa",
                 "zone Seating is sofa and coffee table"},
                hall());
    const auto scene = *sceneOf(job);
    const auto ways = waysToDraw(*scene, *library().book, job.judgement);
    ASSERT_FALSE(ways.empty());
    EXPECT_GT(painted(job, [&](const Drawing& d) { drawWays(d, ways); }).dots, 200);
    const auto zones = zonesOf(*scene);
    const auto zone = painted(job, [&](const Drawing& d) { drawZones(d, zones); });
    EXPECT_GT(zone.dots, 3000);
    EXPECT_NEAR(zone.middle.x, 8 * 304.8, 150);
    const auto view = viewFromDoor(*scene, job.room->openings[1]);
    EXPECT_GT(painted(job, [&](const Drawing& d) { drawView(d, view); }).dots, 20000)
        << "most of the room is seen from a door";
    Piece p = pieceOf(library().kit->byId("sideboard"));
    const auto answer = whereItStands(job, p);
    ASSERT_FALSE(answer.regions.empty());
    EXPECT_GT(painted(job, [&](const Drawing& d) { drawRegions(d, answer.regions); }).dots, 5000);
    EXPECT_EQ(painted(job, [&](const Drawing& d) { drawRegions(d, {}); }).dots, 0);
}

TEST(FloorDrawing, EveryNewKindIsDrawnFromAboveAndFromTheFront) {
    for (const auto& k : library().kit->kinds()) {
        if (k->hangs())
            continue; // drawn on its wall only
        Piece p = pieceOf(k);
        p.id = 1;
        p.name = k->name;
        Placed where;
        where.id = 1;
        where.pose = {{3000, 2500}, {}};
        where.shape = placed(p.shape(), where.pose);
        Project job = jobWith({}, hall());
        EXPECT_GT(painted(job, [&](const Drawing& d) { drawPiece(d, p, where); }).dots, 20)
            << k->id;
    }
}

TEST(FloorDrawing, WhatStandsOnAPieceIsSeenOnItFromTheFront) {
    const auto job = jobWith({"media console 60 x 18 x 24 against wall A, centred on wall A",
                              "television 46 x 4 x 28 at 10', 9in"},
                             hall());
    const auto scene = *sceneOf(job);
    EXPECT_NEAR(baseOf(*scene, 1).inInches(), 24, 1e-9);
    EXPECT_NEAR(baseOf(*scene, 0).inInches(), 0, 1e-9);
    for (const auto& s : standingBefore(*scene, 0))
        EXPECT_NEAR(s.base, FloorView(*scene).piece(s.index).kind->standsOn() ? 24 * 25.4 : 0,
                    1e-6);
    // And neither is in the other's place.
    for (const auto& r : readingsOf(job))
        EXPECT_NE(r.rule->id, "clash");
}

TEST(Reasons, ArePrintedWithThePlanAndFindAPageOfTheirOwn) {
    QTemporaryDir dir;
    const auto job = jobWith({"sofa at 8', 6', costs 1200", "sofa because it faces the window",
                              "note The quiet scheme, for reading."},
                             hall());
    const auto file = dir.filePath("plan.pdf");
    const auto printed = printPlan(job, {}, file.toStdString());
    ASSERT_TRUE(printed);
    EXPECT_EQ(printed->pages, 1);
    const auto text = textOf(file);
    for (const char* t : {"Why", "The quiet scheme, for reading.", "it faces the window", "1,200"})
        EXPECT_TRUE(text.contains(t)) << t;
    std::vector<std::string> lines;
    for (int i = 0; i < 24; ++i) {
        lines.push_back(fmt::format("stool called Stool {} at {}in, {}in", i, 30 + (i % 8) * 24,
                                    40 + (i / 8) * 40));
        lines.push_back(
            fmt::format("stool {} because the reason of stool {} is told at length, and "
                        "goes on for more than a single line of the list",
                        i, i));
    }
    const auto many = jobWith(lines, hall());
    const auto longer = printPlan(many, {}, file.toStdString());
    ASSERT_TRUE(longer);
    EXPECT_GT(longer->pages, 1);
    const auto all = textOf(file);
    EXPECT_TRUE(all.contains("the reason of stool 0"));
    EXPECT_TRUE(all.contains("the reason of stool 23"));
}
