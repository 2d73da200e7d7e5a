// Rooms as they are, drawn: what is built in stands where it was taped, on the plan and on the
// wall.
#include "jobs.h"
#include "sheets/blank_sheet.h"
#include "sheets/drawing.h"
#include "sheets/printed.h"
#include "sheets/sheet.h"

#include <QImage>
#include <QProcess>
#include <QTemporaryDir>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

constexpr double foot = 304.8;

/// A room painted at 40 pixels a foot, its origin at (100, 100).
class PaintedRoom {
public:
    explicit PaintedRoom(const std::string& notes) : room(*roomFromNotes(notes)) {
        loadFonts();
        image.fill(Qt::white);
        QPainter p(&image);
        drawRoom({p, paperLook(), {100, 100}, 40 / foot, 1, {}}, *room);
    }
    /// Whether anything is drawn near a place on the floor, feet.
    [[nodiscard]] bool ink(double x, double y, int reach = 2) const {
        for (int dx = -reach; dx <= reach; ++dx)
            for (int dy = -reach; dy <= reach; ++dy)
                if (image
                        .pixelColor(static_cast<int>(100 + x * 40) + dx,
                                    static_cast<int>(100 + y * 40) + dy)
                        .lightness() < 200)
                    return true;
        return false;
    }
    [[nodiscard]] bool solid(double x, double y) const {
        return image.pixelColor(static_cast<int>(100 + x * 40), static_cast<int>(100 + y * 40)) ==
               paperLook().poche;
    }

    RoomPtr room;
    QImage image{1100, 800, QImage::Format_RGB32};
};

std::string notes(const std::string& onA, const std::string& rest = "") {
    return "ceiling 8'\nwall A 20'\n" + onA + "\nwall B 12'\nwall C 20'\nwall D 12'\n" + rest;
}

/// Wall A from inside, 40 pixels a foot, its foot at (100, 700).
QImage elevation(const std::string& text, int wall = 0) {
    loadFonts();
    auto room = *roomFromNotes(text);
    const auto scene = *resolve(room, std::make_shared<const Scheme>(), {});
    QImage image(1100, 800, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    drawElevation({p, paperLook(), {100, 700}, 40 / foot, 1, {}}, *scene, wall);
    return image;
}

bool dark(const QImage& i, double x, double up) {
    for (int dx = -2; dx <= 2; ++dx)
        for (int dy = -2; dy <= 2; ++dy)
            if (i.pixelColor(static_cast<int>(100 + x * 40) + dx,
                             static_cast<int>(700 - up * 40) + dy)
                    .lightness() < 150)
                return true;
    return false;
}

} // namespace

TEST(RoomDrawing, AnAlcoveIsCutIntoItsWall) {
    const PaintedRoom p(notes("alcove 8' from left, 4' wide, 1' 6\" deep"));
    EXPECT_TRUE(p.solid(4, -0.25));
    EXPECT_FALSE(p.solid(10, -0.25)) << "the mouth is open";
    EXPECT_TRUE(p.solid(10, -1.75)) << "its back stands behind";
    EXPECT_TRUE(p.solid(7.75, -1)) << "and its sides";
}

TEST(RoomDrawing, ACurvedWallIsDrawnCurved) {
    const PaintedRoom p(notes("curve 1' 6\" out"));
    EXPECT_FALSE(p.solid(10, -0.25));
    EXPECT_TRUE(p.solid(10, -1.75));
}

TEST(RoomDrawing, ColumnsAndHalfWallsStandInTheRoom) {
    const PaintedRoom p(notes("half wall 15' from left, 3' long, 6 thick",
                              "column 5' from wall A, 5' from wall D, 12 square"));
    EXPECT_TRUE(p.solid(5.5, 5.5));
    EXPECT_FALSE(p.solid(6.5, 5.5));
    EXPECT_TRUE(p.ink(15.25, 3)) << "its far end";
}

TEST(RoomDrawing, AFireplaceShowsItsHearth) {
    const PaintedRoom p(notes("fireplace 7' from left, 6' wide, 14 deep, hearth 18"));
    EXPECT_TRUE(p.solid(7.3, 0.5));
    EXPECT_FALSE(p.solid(10, 1)) << "the fire's opening";
    EXPECT_TRUE(p.ink(10, 14 / 12.0 + 1.5)) << "the edge of the hearth";
}

TEST(RoomDrawing, SlopesBeamsAndStepsAreLinesOnTheFloor) {
    const PaintedRoom slope(notes("", "slope wall B, knee 4', full at 5'"));
    EXPECT_TRUE(slope.ink(15, 9, 8)) << "where it reaches the full height";
    const PaintedRoom step(notes("", "step 8' from wall D, down 7"));
    EXPECT_TRUE(step.ink(8, 10));
    EXPECT_TRUE(step.ink(8.6, 6)) << "an arrow goes down";
    EXPECT_FALSE(step.ink(7.4, 6));
    const PaintedRoom beam(notes("", "beam 4' from wall A, 1' wide, 9 deep"));
    EXPECT_TRUE(beam.ink(12, 4, 8));
    EXPECT_TRUE(beam.ink(12, 5, 8));
}

TEST(RoomDrawing, EachDoorIsDrawnAsItIsHung) {
    const auto door = [](const std::string& style) {
        return PaintedRoom(notes("door 8' from left, 4' wide, " + style));
    };
    EXPECT_TRUE(door("hinge left, swings in").ink(8, 3.5));
    EXPECT_TRUE(door("double").ink(12, 1.5)) << "a leaf at each side";
    EXPECT_TRUE(door("double").ink(8, 1.5));
    EXPECT_FALSE(door("double").ink(8, 3)) << "half as long";
    EXPECT_FALSE(door("pocket, slides left").ink(8, 1.5));
    EXPECT_TRUE(door("folding, hinge left").ink(8 + 4 * 0.18, 4 * 0.45));
    EXPECT_TRUE(door("sliding, slides right").ink(11, 0.2, 3)) << "its slab is against the wall";
    const PaintedRoom wide(notes("sliding glass door 8' from left, 6' wide"));
    EXPECT_TRUE(wide.ink(9, -0.25, 3)) << "its panels are in the frame";
    EXPECT_TRUE(wide.ink(13, -0.25, 3));
    EXPECT_FALSE(wide.ink(15, 0.2, 3)) << "and none is against the wall";
}

TEST(RoomDrawing, WallMarksPointIntoTheRoom) {
    for (const char* what : {"outlet 6' from left", "switch 6' from left", "light 6' from left"}) {
        const PaintedRoom with(notes(what));
        EXPECT_TRUE(with.ink(6, 0.1, 3)) << what;
    }
    EXPECT_TRUE(PaintedRoom(notes("vent 6' from left, 12 wide")).ink(6.5, 0.07, 2));
    EXPECT_TRUE(PaintedRoom(notes("radiator 6' from left, 40 wide, 5 deep")).ink(7, 5 / 12.0));
    EXPECT_TRUE(PaintedRoom(notes("built-in 6' from left, 40 wide, 14 deep")).ink(8, 14 / 12.0));
    EXPECT_TRUE(
        PaintedRoom(notes("stairs 6' from left, 36 wide, riser 7, going 10, count 12")).ink(8, 3));
}

TEST(RoomDrawing, AWallUnderASlopeHasItsShape) {
    const auto i = elevation(notes("", "slope wall B, knee 4', full at 5'"));
    EXPECT_TRUE(dark(i, 17.5, 6)) << "halfway down the slope";
    EXPECT_FALSE(dark(i, 19, 7)) << "nothing above it";
    EXPECT_TRUE(dark(i, 8, 8));
    const auto knee = elevation(notes("", "slope wall B, knee 4', full at 5'"), 1);
    EXPECT_TRUE(dark(knee, 6, 4));
    EXPECT_FALSE(dark(knee, 6, 7));
}

TEST(RoomDrawing, AWallOverAStepGoesDownWithTheFloor) {
    const auto i = elevation(notes("", "step 15' from wall D, down 12"));
    EXPECT_TRUE(dark(i, 18, -1));
    EXPECT_FALSE(dark(i, 10, -1));
    EXPECT_TRUE(dark(i, 10, 0));
}

TEST(RoomDrawing, WhatIsOnTheWallStandsAtItsHeight) {
    const auto rail = elevation("skirting 6\npicture rail 6' 6\"\ncornice 6\n" + notes(""));
    for (const double z : {0.5, 6.5, 7.5})
        EXPECT_TRUE(dark(rail, 3, z)) << z;
    EXPECT_FALSE(dark(rail, 3, 4));
    const auto all = elevation(notes(
        "radiator 2' from left, 4' wide, 24 high, 5 deep\nlight 9' from left, 60 up\nvent 12' "
        "from left, 12 wide, 6 high, 6 up\nhalf wall 15' from left, 3' long, 6 thick, 42 "
        "high\nstairs 16' from left, 36 wide, riser 8, going 10, count 4, up right"));
    EXPECT_TRUE(dark(all, 4, 2 + 4 / 12.0)) << "the top of the radiator";
    EXPECT_TRUE(dark(all, 15.25, 3.5));
    EXPECT_TRUE(dark(all, 16.4, 8 / 12.0)) << "the first tread";
    EXPECT_TRUE(dark(all, 12.5, 1));
}

TEST(RoomDrawing, NeighboursAreDrawnBeyondTheirDoors) {
    loadFonts();
    const auto rooms = *roomsFromNotes(
        "room Den\nwall A 10'\nwall B 10'\n door 3' from left, 3' wide, to Hall\nwall C "
        "10'\nwall D 10'\nroom Hall\nwall A 5'\nwall B 10'\nwall C 5'\nwall D 10'\n "
        "door 3' from left, 3' wide, to Den\n");
    QImage image(1100, 800, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    drawNeighbours({p, paperLook(), {100, 100}, 40 / foot, 1, {}}, rooms, 0);
    p.end();
    int dark = 0;
    for (int x = 0; x < image.width(); ++x)
        for (int y = 0; y < image.height(); ++y)
            if (image.pixelColor(x, y).lightness() < 240) {
                ++dark;
                EXPECT_GT(x, 100 + 10 * 40) << "beyond wall B";
                if (x < 100 + 10 * 40)
                    return;
            }
    EXPECT_GT(dark, 500);
}

TEST(RoomDrawing, ThePlanSheetTellsWhatTheRoomMeasures) {
    QTemporaryDir dir;
    const auto job = jobWith({"sofa against wall C"});
    const auto pdf = dir.filePath("plan.pdf");
    ASSERT_TRUE(printPlan(job, {}, pdf.toStdString()));
    QProcess text;
    text.start("pdftotext", {"-layout", pdf, "-"});
    text.waitForFinished();
    const auto words = QString::fromUtf8(text.readAllStandardOutput());
    EXPECT_TRUE(words.contains("300.0 sq ft")) << qPrintable(words);
    EXPECT_TRUE(words.contains("skirting"));
}

TEST(RoomDrawing, TheMeasuringSheetLeavesItsFiguresEmpty) {
    QTemporaryDir dir;
    const auto room = roomFromNotes(notes("window 4' from left, 5' wide"));
    const auto pdf = dir.filePath("m.pdf");
    const auto printed = printBlankSheet(*room, Units::feetAndInches, pdf.toStdString());
    ASSERT_TRUE(printed);
    EXPECT_EQ(*printed, 2);
    QProcess text;
    text.start("pdftotext", {"-layout", pdf, "-"});
    text.waitForFinished();
    const auto words = QString::fromUtf8(text.readAllStandardOutput());
    EXPECT_FALSE(words.contains("20'")) << "it is to be measured";
    EXPECT_TRUE(words.contains("hinge, swing, undercut"));
    EXPECT_FALSE(printBlankSheet(nullptr, Units::millimetres, "/no/such/folder/m.pdf"));
    EXPECT_FALSE(printBlankSheet(nullptr, Units::millimetres, dir.filePath("m.txt").toStdString()));
}
