// Measuring from the command line: how a room fits, tracing, DXF, the measuring sheet, the laser.
#include "cli/shell.h"

#include <nlohmann/json.hpp>

#include <filesystem>

using json = nlohmann::json;
namespace fs = std::filesystem;

namespace {

class SurveyShell : public mezzet::test::ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        fs::copy_file(fs::path(MEZZET_TEST_DATA) / "demo" / "lantern-row.mezzet",
                      folder / "demo.mezzet");
        write("braced.tape",
              "ceiling 8'\nwall A 14'\nwall B 12'\nwall C 13'\nwall D 12'\ndiagonal A "
              "to C 18' 5 1/4\"\ndiagonal B to D 18' 5 1/4\"\n");
    }
    json survey(const std::string& file) const {
        return json::parse(run("survey " + file + " --json").out);
    }
};

} // namespace

TEST_F(SurveyShell, ASlipIsNamedFirst) {
    const auto j = survey("braced.tape");
    ASSERT_FALSE(j["suspects"].empty());
    const auto& s = j["suspects"][0];
    EXPECT_EQ(s["what"], "wall C");
    EXPECT_EQ(s["kind"], "run");
    EXPECT_EQ(s["line"], 4);
    EXPECT_EQ(s["slip"], "a foot dropped");
    EXPECT_NEAR(s["likely_mm"].get<double>(), 14 * 304.8, 3);
    EXPECT_GT(std::abs(s["standardised"].get<double>()), 10);
    EXPECT_FALSE(j["closed"]) << "a foot in 51 is no closing";
    const auto plain = run("survey braced.tape").out;
    EXPECT_NE(plain.find("suspect: Wall C was taped 13' 0\""), std::string::npos) << plain;
}

TEST_F(SurveyShell, AWellMeasuredRoomHasEllipsesAndNoSuspects) {
    write("good.tape",
          "ceiling 8'\nwall A 14'\nwall B 12'\nwall C 14'\nwall D 12'\ndiagonal A to C "
          "18' 5 1/4\"\n");
    const auto j = survey("good.tape");
    EXPECT_TRUE(j["closed"]);
    EXPECT_TRUE(j["suspects"].empty());
    ASSERT_EQ(j["ellipses"].size(), 4U);
    EXPECT_EQ(j["ellipses"][0]["major_mm"], 0.0) << "corner A is held";
    EXPECT_GT(j["ellipses"][2]["major_mm"].get<double>(), 1);
    EXPECT_EQ(j["redundancy"], 4);
    const auto& next = j["next_best_measurement"];
    EXPECT_EQ(next["from"], "B");
    EXPECT_EQ(next["to"], "D");
    EXPECT_LT(next["worst_corner_then_mm"].get<double>(),
              next["worst_corner_now_mm"].get<double>());
    // The more so without any diagonal.
    write("bare.tape", "wall A 14'\nwall B 12'\nwall C 14'\nwall D 12'\n");
    const auto bare = survey("bare.tape")["next_best_measurement"];
    EXPECT_NEAR(bare["expected_mm"].get<double>(), std::hypot(14, 12) * 304.8, 1);
    EXPECT_GT(bare["worst_corner_now_mm"].get<double>(), next["worst_corner_now_mm"].get<double>());
    const auto& f = j["facts"];
    EXPECT_NEAR(f["floor_m2"].get<double>(), 168 * 0.09290304, 1e-4);
    EXPECT_NEAR(f["walls_m2"].get<double>(), 52 * 8 * 0.09290304, 1e-4);
    // The diagonal, taped to the quarter inch, pulls the corners a hair.
    EXPECT_NEAR(f["volume_m3"].get<double>(), 168 * 8 * 0.028316846592, 1e-3);
}

TEST_F(SurveyShell, SeveralRoomsAreAllTold) {
    write("two.tape",
          "room Den\nwall A 14'\nwall B 12'\n door 2' from left, 30 wide, to Hall\nwall C "
          "14'\nwall D 12'\nroom Hall\nwall A 4'\nwall B 9'\nwall C 4'\nwall D 9'\n door "
          "2' from left, 32 wide, to Den\n");
    const auto j = survey("two.tape");
    EXPECT_EQ(j["room"], "Den");
    ASSERT_EQ(j["rooms"].size(), 2U);
    EXPECT_EQ(j["rooms"][1]["room"], "Hall");
    EXPECT_EQ(j["joined"].size(), 2U);
    ASSERT_EQ(j["notices"].size(), 1U) << "the door is 30 wide here and 32 there";
    ASSERT_EQ(run("build two.tape -o two.mezzet").code, 0);
    ASSERT_EQ(run("say two.mezzet 'room hall' 'bench 30 x 14 against wall B'").code, 0);
    EXPECT_NE(run("scene two.mezzet").out.find("Bench"), std::string::npos);
    EXPECT_EQ(run("scene two.mezzet --room den").out, "");
    const auto lost = run("scene two.mezzet --room attic");
    EXPECT_EQ(lost.code, 3);
    EXPECT_NE(lost.error.find("Den and Hall"), std::string::npos) << lost.error;
    EXPECT_EQ(run("sheet two.mezzet plan --room den -o den.pdf").code, 0);
}

TEST_F(SurveyShell, APlanGoesOutAsDxfAndComesBackAsNotes) {
    ASSERT_EQ(run("export demo.mezzet -o plan.dxf").code, 0);
    const auto layers = run("trace plan.dxf --layers");
    EXPECT_NE(layers.out.find("one unit is mm"), std::string::npos) << layers.out;
    EXPECT_NE(layers.out.find("PIECES-SEAT"), std::string::npos);
    const auto back = run("trace plan.dxf -o back.tape --name Back --inside 2500,-2000");
    ASSERT_EQ(back.code, 0) << back.error;
    const auto j = survey("back.tape");
    EXPECT_TRUE(j["closed"]);
    EXPECT_EQ(j["room"], "Back");
    EXPECT_EQ(j["walls"].size(), 5U);
    EXPECT_EQ(run("trace plan.dxf -o x.tape --inside 99999,0").code, 3);
    EXPECT_NE(run("trace plan.dxf -o x.tape --walls NONE").error.find("no layer “NONE”"),
              std::string::npos);
    EXPECT_EQ(run("trace plan.dxf").code, 2) << "where to?";
    EXPECT_FALSE(fs::exists(folder / "x.tape"));
    write("no.dxf", "nothing of the kind");
    EXPECT_EQ(run("trace no.dxf -o x.tape").code, 3);
    EXPECT_EQ(run("export demo.mezzet -o /no/such/place.dxf").code, 3);
}

TEST_F(SurveyShell, ATracingIsRunAsText) {
    write("study.trace",
          "room Study\nscale 0,0 600,0 = 6m\nscale 0,0 0,400 = 4.04m\ncorner 0,0\ncorner "
          "600,0\ncorner 600,450\ncorner 0,450\n");
    const auto traced = run("trace study.trace --units mm -o study.tape");
    ASSERT_EQ(traced.code, 0) << traced.error;
    EXPECT_NE(traced.out.find("mm to a pixel, sure to"), std::string::npos) << traced.out;
    EXPECT_TRUE(survey("study.tape")["closed"]);
    write("bad.trace", "corner 0,0\ncorner here\n");
    const auto bad = run("trace bad.trace -o x.tape");
    EXPECT_EQ(bad.code, 3);
    EXPECT_NE(bad.error.find("bad.trace:2:8"), std::string::npos) << bad.error;
}

TEST_F(SurveyShell, TheMeasuringSheetIsPrintedBlankOrForARoom) {
    ASSERT_EQ(run("measuring-sheet -o blank.pdf").code, 0);
    ASSERT_EQ(run("measuring-sheet braced.tape -o room.pdf").code, 0);
    EXPECT_EQ(run("measuring-sheet --metric -o blank.png").code, 0);
    ASSERT_EQ(std::system(("cd " + folder.string() +
                           " && pdftotext blank.pdf && pdftotext room.pdf && pdfinfo room.pdf > "
                           "info.txt")
                              .c_str()),
              0);
    EXPECT_NE(read("blank.txt").find("diagonal"), std::string::npos);
    EXPECT_NE(read("blank.txt").find("ladder"), std::string::npos) << "the caution is at the act";
    EXPECT_NE(read("room.txt").find("Room"), std::string::npos);
    EXPECT_NE(read("info.txt").find("Pages:           2"), std::string::npos) << read("info.txt");
    EXPECT_EQ(run("measuring-sheet -o blank.doc").code, 2);
    EXPECT_EQ(run("measuring-sheet nowhere.tape -o blank.pdf").code, 3);
}

TEST_F(SurveyShell, TheLaserIsListenedTo) {
    const auto socket = (folder / "laser").string();
    const auto status = std::system(("cd " + folder.string() + " && (timeout 20 " + MEZZET_LASER +
                                     " --socket " + socket +
                                     " --walk braced.tape --seed 3 --slips 0 --every 0.02 > "
                                     "laser.txt 2>&1 &) ; for i in 1 2 3 4 "
                                     "5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20; do [ -S " +
                                     socket +
                                     " ] && break; sleep 0.1; "
                                     "done")
                                        .c_str());
    ASSERT_EQ(status, 0);
    const auto heard = run("listen --socket " + socket + " --count 3 --log raw.log");
    ASSERT_EQ(heard.code, 0) << heard.error;
    EXPECT_EQ(std::count(heard.out.begin(), heard.out.end(), '\n'), 3) << heard.out;
    EXPECT_TRUE(read("raw.log").starts_with("reading 1 ")) << read("raw.log");
    EXPECT_NE(heard.out.find("14' 0\""), std::string::npos) << heard.out;
    const auto nobody = run("listen --socket " + (folder / "nobody").string());
    EXPECT_EQ(nobody.code, 3);
    EXPECT_NE(nobody.error.find("start mezzet-laser"), std::string::npos);
}

TEST_F(SurveyShell, HeadroomIsToldAtAPlace) {
    write("attic.tape",
          "ceiling 8'\nslope wall B, knee 4', full at 5'\nwall A 20'\nwall B 10'\nwall C "
          "20'\nwall D 10'\n");
    EXPECT_EQ(run("survey attic.tape --headroom \"17' 6\\\",5'\"").out, "6' 0\"\n");
    const auto j = json::parse(run("survey attic.tape --json --headroom 240,60").out);
    EXPECT_NEAR(j["headroom_mm"].get<double>(), 4 * 304.8, 1e-3);
    EXPECT_EQ(run("survey attic.tape --headroom \"30',5'\"").code, 3);
    EXPECT_EQ(run("survey attic.tape --headroom far,5").code, 2);
}

TEST_F(SurveyShell, TheLaserIsAimedByHandAndOneSocketHasOneLaser) {
    const auto socket = (folder / "hand").string();
    const auto status = std::system(
        ("cd " + folder.string() +
         "; (printf \"4318mm\\n\\nnonsense\\n0\\n\"; sleep 1.5) | timeout 10 " + MEZZET_LASER +
         " --socket " + socket + " --seed 1 --slips 0 > laser.txt 2>&1 & sleep 0.7; " +
         MEZZET_LASER + " --socket " + socket +
         " </dev/null > second.txt 2>&1; echo $? > code.txt; sleep 1.2")
            .c_str());
    ASSERT_EQ(status, 0);
    const auto said = read("laser.txt");
    EXPECT_NE(said.find("at: reading 1 431"), std::string::npos) << said;
    EXPECT_NE(said.find("the walk is over"), std::string::npos) << said;
    EXPECT_NE(said.find("more than nothing"), std::string::npos) << said;
    EXPECT_EQ(read("code.txt"), "3\n");
    EXPECT_NE(read("second.txt").find("another laser is on"), std::string::npos);
    EXPECT_NE(
        std::system((std::string(MEZZET_LASER) + " --walk /no/such.tape 2>/dev/null").c_str()), 0);
}
