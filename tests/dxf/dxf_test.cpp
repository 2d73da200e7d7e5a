// DXF: what is written here is read by another program's reader; what others write is read here.
#include "dxf/dxf.h"
#include "jobs.h"

#include <fmt/format.h>

#include <cstdlib>
#include <fstream>
#include <numbers>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

namespace fs = std::filesystem;

class Dxf : public ::testing::Test {
protected:
    void SetUp() override {
        auto name = (fs::temp_directory_path() / "mezzet-dxf-XXXXXX").string();
        folder_ = ::mkdtemp(name.data());
    }
    void TearDown() override { fs::remove_all(folder_); }

    fs::path write(const std::string& content, const char* name = "drawing.dxf") const {
        std::ofstream(folder_ / name, std::ios::binary) << content;
        return folder_ / name;
    }
    fs::path folder_;
};

/// Pairs of code and value as a DXF has them.
class Pairs {
public:
    Pairs& put(int code, const std::string& value) {
        text_ += fmt::format("{}\n{}\n", code, value);
        return *this;
    }
    Pairs& put(int code, double value) { return put(code, fmt::format("{:.6f}", value)); }
    Pairs& line(const char* layer, double x0, double y0, double x1, double y1) {
        return put(0, "LINE").put(8, layer).put(10, x0).put(20, y0).put(11, x1).put(21, y1);
    }
    Pairs& box(const char* layer, double x0, double y0, double x1, double y1) {
        return line(layer, x0, y0, x1, y0)
            .line(layer, x1, y0, x1, y1)
            .line(layer, x1, y1, x0, y1)
            .line(layer, x0, y1, x0, y0);
    }
    Pairs& units(int code) {
        return put(0, "SECTION")
            .put(2, "HEADER")
            .put(9, "$INSUNITS")
            .put(70, std::to_string(code))
            .put(0, "ENDSEC");
    }
    Pairs& section(const char* name) { return put(0, "SECTION").put(2, name); }
    Pairs& end() { return put(0, "ENDSEC"); }
    std::string eof() { return text_ + "0\nEOF\n"; }

private:
    std::string text_;
};

double lengthOn(const DrawnSheet& s, const char* layer) {
    double sum = 0;
    for (const auto& l : s.lines)
        if (s.layers[static_cast<std::size_t>(l.layer)] == layer)
            sum += norm(l.to - l.from);
    return sum;
}

} // namespace

TEST_F(Dxf, WhatIsWrittenIsReadByAnIndependentReader) {
    // ezdxf, a reader of another make, by a short script that lists what it finds.
    const auto job =
        jobWith({"sofa 84 x 36 at 10', 5'", "round table 40 called Tea – café at 5', 5'"});
    const auto text = dxfText(**sceneOf(job));
    ASSERT_TRUE(text) << text.problem().text();
    write(*text);
    std::ofstream(folder_ / "read.py")
        << "import ezdxf, sys\n"
           "from ezdxf.lldxf.encoding import decode_dxf_unicode\n"
           "d = ezdxf.readfile(sys.argv[1])\n"
           "assert not d.audit().errors\n"
           "print('units', d.header['$INSUNITS'])\n"
           "for e in d.modelspace():\n"
           "    t = e.dxftype()\n"
           "    if t == 'LINE':\n"
           "        print(t, e.dxf.layer, round(e.dxf.start.x, 3), round(e.dxf.start.y, 3),\n"
           "              round(e.dxf.end.x, 3), round(e.dxf.end.y, 3))\n"
           "    elif t == 'LWPOLYLINE':\n"
           "        p = e.get_points('xy')\n"
           "        print(t, e.dxf.layer, e.closed, round(min(x for x, y in p), 2),\n"
           "              round(max(x for x, y in p), 2), round(min(y for x, y in p), 2),\n"
           "              round(max(y for x, y in p), 2))\n"
           "    elif t == 'TEXT':\n"
           "        print(t, e.dxf.layer, ascii(decode_dxf_unicode(e.dxf.text)))\n";
    const auto command = fmt::format("/usr/bin/python3 {0}/read.py {0}/drawing.dxf > {0}/out 2>&1",
                                     folder_.string());
    const int status = std::system(command.c_str());
    std::ifstream in(folder_ / "out");
    const std::string out{std::istreambuf_iterator<char>(in), {}};
    ASSERT_EQ(status, 0) << out;
    EXPECT_NE(out.find("units 4\n"), std::string::npos) << "millimetres\n" << out;
    // Wall A of 20 ft, y up, broken by the window from 7' 6" to 12' 6".
    EXPECT_NE(out.find("LINE WALLS 0.0 0.0 2286.0 0.0"), std::string::npos) << out;
    EXPECT_NE(out.find("LINE WALLS 3810.0 0.0 6096.0 0.0"), std::string::npos) << out;
    EXPECT_NE(out.find("LINE WINDOWS 2286.0 0.0 3810.0 0.0"), std::string::npos) << out;
    EXPECT_NE(out.find("LINE WALLS 6096.0 0.0 6096.0 -4572.0"), std::string::npos) << out;
    // The sofa, 84 by 36 in about 10', 5'.
    EXPECT_NE(out.find("LWPOLYLINE PIECES-SEAT True 1981.2 4114.8 -1981.2 -1066.8"),
              std::string::npos)
        << out;
    EXPECT_NE(out.find("TEXT NAMES 'Sofa'"), std::string::npos) << out;
    EXPECT_NE(out.find("'Tea \\u2013 caf\\xe9'"), std::string::npos) << out;
}

TEST_F(Dxf, ItsOwnDrawingReadsBackAsTheRoomAndItsOpenings) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 5'"});
    const auto sheet = readDxf(write(*dxfText(**sceneOf(job))));
    ASSERT_TRUE(sheet) << sheet.problem().text();
    EXPECT_EQ(sheet->unitMm, 1.0);
    const auto found = findRoom(*sheet, guessRoles(*sheet), 1, {});
    ASSERT_TRUE(found) << found.problem().text();
    const auto notes = notesOf(*found, Units::feetAndInches);
    ASSERT_TRUE(notes) << notes.problem().text();
    const auto room = roomFromNotes(*notes);
    ASSERT_TRUE(room) << room.problem().text();
    EXPECT_NEAR((*room)->floorArea(), job.room->floorArea(), 10);
    ASSERT_EQ((*room)->openings.size(), 2U);
    EXPECT_EQ((*room)->openings[0].kind, OpeningKind::window);
    EXPECT_NEAR((*room)->openings[0].left.mm(), 2286, 0.01);
    EXPECT_EQ((*room)->openings[1].kind, OpeningKind::door);
    EXPECT_NEAR((*room)->openings[1].width.inInches(), 32, 0.001);
}

TEST_F(Dxf, BlocksAreFlattenedTurnedScaledAndNested) {
    Pairs d;
    d.section("BLOCKS");
    d.put(0, "BLOCK").put(8, "0").put(2, "leaf").put(70, "0").put(10, 10.0).put(20, 0.0);
    d.line("0", 10, 0, 13, 0).line("own", 10, 0, 10, 4).put(0, "ENDBLK");
    d.put(0, "BLOCK").put(8, "0").put(2, "outer").put(70, "0").put(10, 0.0).put(20, 0.0);
    d.put(0, "INSERT").put(8, "0").put(2, "leaf").put(10, 1.0).put(20, 1.0).put(50, 90.0);
    d.put(0, "ENDBLK").end();
    d.section("ENTITIES");
    d.put(0, "INSERT")
        .put(8, "doors")
        .put(2, "outer")
        .put(10, 100.0)
        .put(20, 200.0)
        .put(41, 2.0)
        .put(42, 2.0);
    const auto s = readDxf(write(d.end().eof()));
    ASSERT_TRUE(s) << s.problem().text();
    ASSERT_EQ(s->lines.size(), 2U);
    // leaf's line of 3 along x, turned to y and doubled: from (102, 202) to (102, 208); y runs down
    // here.
    const auto& l = s->lines[0];
    EXPECT_NEAR(norm(l.from - Vec2{102, -202}), 0, 1e-9);
    EXPECT_NEAR(norm(l.to - Vec2{102, -208}), 0, 1e-9);
    EXPECT_EQ(s->layers[static_cast<std::size_t>(l.layer)], "doors")
        << "layer 0 of a block is its insert's";
    EXPECT_NEAR(lengthOn(*s, "own"), 8, 1e-9);
    EXPECT_FALSE(s->unitMm) << "it doesn't say its unit";
}

TEST_F(Dxf, CurvesAreCutIntoChords) {
    Pairs d;
    d.units(5).section("ENTITIES");
    d.put(0, "ARC").put(8, "a").put(10, 0.0).put(20, 0.0).put(40, 10.0).put(50, 350.0).put(51,
                                                                                           80.0);
    d.put(0, "CIRCLE").put(8, "c").put(10, 0.0).put(20, 0.0).put(40, 5.0);
    d.put(0, "ELLIPSE")
        .put(8, "e")
        .put(10, 0.0)
        .put(20, 0.0)
        .put(11, 6.0)
        .put(21, 0.0)
        .put(40, 1.0)
        .put(41, 0.0)
        .put(42, 6.283185307);
    // A closed polyline: a square with one side a half circle (bulge 1).
    d.put(0, "LWPOLYLINE").put(8, "p").put(90, "4").put(70, "1");
    d.put(10, 0.0).put(20, 0.0).put(10, 4.0).put(20, 0.0).put(42, 1.0).put(10, 4.0).put(20, 4.0);
    d.put(10, 0.0).put(20, 4.0);
    const auto s = readDxf(write(d.end().eof()));
    ASSERT_TRUE(s) << s.problem().text();
    EXPECT_EQ(s->unitMm, 10.0);
    EXPECT_NEAR(lengthOn(*s, "a"), 10 * std::numbers::pi / 2, 0.01) << "350° on through 0 to 80°";
    EXPECT_NEAR(lengthOn(*s, "c"), 10 * std::numbers::pi, 0.02);
    EXPECT_NEAR(lengthOn(*s, "e"), 12 * std::numbers::pi, 0.02);
    EXPECT_NEAR(lengthOn(*s, "p"), 12 + 2 * std::numbers::pi, 0.01);
    double right = 0;
    for (const auto& l : s->lines)
        if (s->layers[static_cast<std::size_t>(l.layer)] == "p")
            right = std::max(right, l.to.x);
    EXPECT_NEAR(right, 6, 0.01) << "a bulge above 0 goes out to the right of the way";
}

TEST_F(Dxf, DoubleWallsWithGapsMakeARoomWithOpenings) {
    // Walls of two lines each, 4 and 6 m about a room; a door gap of 0.9 m with its jambs, a window
    // drawn in its gap.
    Pairs d;
    d.units(4).section("ENTITIES");
    const auto wall = [&](double x0, double y0, double x1, double y1) {
        d.line("A-WALL", x0, y0, x1, y1);
    };
    d.box("A-WALL", -200, -200, 6200, 4200); // the outer faces
    wall(0, 0, 1000, 0);
    wall(1900, 0, 6000, 0);
    wall(1000, 0, 1000, -200);
    wall(1900, 0, 1900, -200);
    wall(6000, 0, 6000, 1200);
    wall(6000, 2700, 6000, 4000);
    wall(6000, 4000, 0, 4000);
    wall(0, 4000, 0, 0);
    d.line("A-GLAZING", 6100, 1200, 6100, 2700);
    d.line("A-DOOR", 1000, 0, 1000, 900);
    d.line("FURNITURE", 2000, 2000, 3000, 2000);
    const auto s = readDxf(write(d.end().eof()));
    ASSERT_TRUE(s);
    const auto roles = guessRoles(*s);
    EXPECT_EQ(roles.walls.size(), 1U);
    EXPECT_EQ(roles.windows.size(), 1U);
    const auto r = findRoom(*s, roles, 1, Vec2{3000, -2000});
    ASSERT_TRUE(r) << r.problem().text();
    const auto notes = notesOf(*r, Units::millimetres);
    ASSERT_TRUE(notes) << notes.problem().text();
    const auto room = roomFromNotes(*notes);
    ASSERT_TRUE(room) << room.problem().text() << *notes;
    EXPECT_NEAR((*room)->floorArea(), 24e6, 1000) << *notes;
    ASSERT_EQ((*room)->openings.size(), 2U) << *notes;
    double door = 0, window = 0;
    for (const auto& o : (*room)->openings)
        (o.kind == OpeningKind::door ? door : window) = o.width.mm();
    EXPECT_NEAR(door, 900, 0.1);
    EXPECT_NEAR(window, 1500, 0.1);
    EXPECT_FALSE(findRoom(*s, roles, 1, Vec2{90000, 0})) << "nothing holds that point";
    EXPECT_FALSE(findRoom(*s, roles, 0, {})) << "no unit";
    EXPECT_FALSE(findRoom(*s, {}, 1, {})) << "no layer";
}

TEST_F(Dxf, WhatIsNoDrawingSaysWhatAndWhere) {
    const auto refused = [&](const std::string& content) {
        const auto s = readDxf(write(content));
        EXPECT_FALSE(s) << content.substr(0, 60);
        if (s)
            return std::string();
        EXPECT_EQ(s.problem().file, (folder_ / "drawing.dxf").string());
        EXPECT_FALSE(s.problem().remedy.empty());
        return s.problem().what;
    };
    EXPECT_NE(refused("").find("no DXF"), std::string::npos);
    EXPECT_NE(refused("hello, world").find("no DXF"), std::string::npos);
    EXPECT_NE(refused(std::string("\0\1\2SECTION", 10)).find("no DXF"), std::string::npos);
    EXPECT_NE(refused("AutoCAD Binary DXF\r\n\x1a").find("binary"), std::string::npos);
    EXPECT_NE(refused(Pairs().section("ENTITIES").end().eof()).find("nothing is drawn"),
              std::string::npos);
    EXPECT_NE(refused(Pairs()
                          .section("ENTITIES")
                          .put(0, "TEXT")
                          .put(8, "0")
                          .put(10, 0.0)
                          .put(20, 0.0)
                          .put(40, 1.0)
                          .put(1, "only words")
                          .end()
                          .eof())
                  .find("no line"),
              std::string::npos);
    EXPECT_FALSE(readDxf(folder_ / "not there.dxf"));
    EXPECT_FALSE(readDxf(folder_)) << "a folder is no drawing";
    // A block that holds itself.
    Pairs d;
    d.section("BLOCKS")
        .put(0, "BLOCK")
        .put(8, "0")
        .put(2, "loop")
        .put(70, "0")
        .put(10, 0.0)
        .put(20, 0.0);
    d.line("0", 0, 0, 1, 1);
    d.put(0, "INSERT").put(8, "0").put(2, "loop").put(10, 1.0).put(20, 1.0).put(0, "ENDBLK").end();
    d.section("ENTITIES").put(0, "INSERT").put(8, "0").put(2, "loop").put(10, 0.0).put(20, 0.0);
    EXPECT_NE(refused(d.end().eof()).find("nested without end"), std::string::npos);
}

TEST_F(Dxf, ATornOrTwistedFileNeverCrashes) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 5'"});
    const auto whole = *dxfText(**sceneOf(job));
    std::mt19937 random(4);
    for (int i = 0; i < 120; ++i) {
        auto s = whole;
        if (i % 2 == 0)
            s.resize(random() % s.size());
        for (int k = 0; k < 30 && !s.empty(); ++k)
            s[random() % s.size()] = static_cast<char>(32 + random() % 95);
        const auto sheet = readDxf(write(s));
        if (sheet)
            static_cast<void>(findRoom(*sheet, guessRoles(*sheet), 1, {}));
        else
            EXPECT_FALSE(sheet.problem().what.empty());
    }
}

TEST_F(Dxf, ManyThingsAreReadStoppedOrRefused) {
    Pairs d;
    d.section("ENTITIES");
    for (int i = 0; i < 50000; ++i)
        d.line(i % 3 == 0 ? "WALLS" : "REST", i, 0, i + 1, i % 97);
    const auto path = write(d.end().eof());
    Watch watch;
    const auto all = readDxf(path, &watch);
    ASSERT_TRUE(all);
    EXPECT_EQ(all->lines.size(), 50000U);
    EXPECT_EQ(all->entities, 50000U);
    EXPECT_EQ(watch.share, 1.0);
    watch.stop = true;
    const auto stopped = readDxf(path, &watch);
    ASSERT_FALSE(stopped);
    EXPECT_NE(stopped.problem().what.find("stopped"), std::string::npos);
    // More than a million lines, by one block inserted in a thousand rows and columns.
    Pairs many;
    many.section("BLOCKS")
        .put(0, "BLOCK")
        .put(8, "0")
        .put(2, "one")
        .put(70, "0")
        .put(10, 0.0)
        .put(20, 0.0);
    many.box("0", 0, 0, 1, 1).put(0, "ENDBLK").end();
    many.section("ENTITIES")
        .put(0, "INSERT")
        .put(8, "0")
        .put(2, "one")
        .put(10, 0.0)
        .put(20, 0.0)
        .put(70, "1000")
        .put(71, "1000")
        .put(44, 2.0)
        .put(45, 2.0);
    const auto flood = readDxf(write(many.end().eof()));
    ASSERT_FALSE(flood);
    EXPECT_NE(flood.problem().what.find("more than 1000000"), std::string::npos);
}
