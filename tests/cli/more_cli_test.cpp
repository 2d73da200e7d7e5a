// More of the command line: what it prints, and what it says of bad files.
#include "cli/shell.h"
#include "measure/text.h"

#include <nlohmann/json.hpp>

#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>

using json = nlohmann::json;
namespace fs = std::filesystem;

namespace {

class Shell : public mezzet::test::ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        const auto demo = fs::path(MEZZET_TEST_DATA) / "demo";
        for (const char* f : {"lantern-row.tape", "lantern-row.lines", "lantern-row.mezzet"})
            fs::copy_file(demo / f, folder / f);
    }
};

} // namespace

TEST_F(Shell, TheDemoIsBuiltFromItsNotesAndLines) {
    ASSERT_EQ(run("build lantern-row.tape --lines lantern-row.lines -o again.mezzet").code, 0);
    EXPECT_EQ(read("again.mezzet"), read("lantern-row.mezzet"));
}

TEST_F(Shell, SurveyTellsOfWallsDiagonalsAndFloor) {
    const auto plain = run("survey lantern-row.tape");
    for (const char* t : {"wall A", "15' 0\"", "diagonal A to D", "agrees", "sq ft", "1 in 2673"})
        EXPECT_NE(plain.out.find(t), std::string::npos) << t << "\n" << plain.out;
    const auto j = json::parse(run("survey lantern-row.tape --json").out);
    EXPECT_TRUE(j["closed"]);
    EXPECT_NEAR(j["ratio"].get<double>(), 2673, 1);
    EXPECT_EQ(j["walls"].size(), 5U);
    EXPECT_TRUE(j["diagonals"][0]["agrees"]);
    EXPECT_EQ(j["corners_mm"][0], json({0.0, 0.0}));
    EXPECT_EQ(j["corners_mm"][1][1], 0.0) << "x runs along wall A";
}

TEST_F(Shell, AnOpenRoomIsToldAndStillBuilt) {
    write("open.tape", "wall A 12'\nwall B 10'\nwall C 14'\nwall D 10'\n");
    const auto j = json::parse(run("survey open.tape --json").out);
    EXPECT_FALSE(j["closed"]);
    EXPECT_TRUE(j["area_m2"].is_null());
    EXPECT_NEAR(j["misclosure_mm"].get<double>(), 609.6, 1e-6);
    const auto built = run("build open.tape -o open.mezzet");
    EXPECT_EQ(built.code, 0);
    EXPECT_NE(built.out.find("doesn't close"), std::string::npos);
    EXPECT_EQ(run("say open.mezzet 'sofa against wall A'").code, 0);
    EXPECT_EQ(run("check open.mezzet").code, 0);
    EXPECT_EQ(run("sheet open.mezzet plan -o open.pdf").code, 0);
}

TEST_F(Shell, SceneTellsEveryPieceInItsTruePlace) {
    const auto j = json::parse(run("scene lantern-row.mezzet --json").out);
    ASSERT_EQ(j["pieces"].size(), 31U) << "16 stand, 15 hang";
    for (const auto& p : j["pieces"]) {
        if (p["surface"] != "floor") {
            EXPECT_EQ(p["surface"].get<std::string>().substr(0, 5), "wall ");
        }
        EXPECT_EQ(p["corners"].size(), p["shape"] == "L" ? 6U : 4U);
        // The corners lie about the centre.
        double x = 0;
        for (const auto& c : p["corners"])
            x += c[0].get<double>() / 4;
        EXPECT_NEAR(x, p["centre"][0].get<double>(), 0.01) << p["name"];
    }
    EXPECT_NE(run("scene lantern-row.mezzet").out.find("8\" from Sofa"), std::string::npos);
}

TEST_F(Shell, CheckTellsEachReadingInFull) {
    const auto j = json::parse(run("check lantern-row.mezzet --json").out);
    EXPECT_EQ(j["school"], "low-and-close");
    int remedies = 0;
    for (const auto& r : j["readings"]) {
        for (const char* key : {"rule", "of", "low", "high", "verdict", "surface", "at", "why"})
            EXPECT_TRUE(r.contains(key)) << key;
        EXPECT_EQ(r.contains("value_mm") + r.contains("ratio") + r.contains("count"), 1);
        EXPECT_TRUE(r["low"].is_null() || r["low"].is_number());
        remedies += r.contains("remedy") ? 1 : 0;
        EXPECT_EQ(r.contains("remedy"),
                  r["verdict"] != "right" && r["verdict"] != "note" && r.contains("remedy"));
    }
    EXPECT_GE(remedies, 3);
    const auto plain = run("check lantern-row.mezzet");
    EXPECT_NE(plain.out.find("mend it: Coffee table 15\" from Sofa"), std::string::npos)
        << plain.out;
}

TEST_F(Shell, EveryRemedyCanBeSaid) {
    const auto j = json::parse(run("check lantern-row.mezzet --json").out);
    for (const auto& r : j["readings"]) {
        if (!r.contains("remedy"))
            continue;
        fs::copy_file(folder / "lantern-row.mezzet", folder / "try.mezzet",
                      fs::copy_options::overwrite_existing);
        write("remedy.txt", r["remedy"].get<std::string>());
        const auto said = run("say try.mezzet \"$(cat remedy.txt)\"");
        EXPECT_EQ(said.code, 0) << r["remedy"] << said.error;
        const auto now = json::parse(run("check try.mezzet --json").out);
        for (const auto& x : now["readings"])
            if (x["rule"] == r["rule"] && x["of"] == r["of"] && x["to"] == r["to"])
                EXPECT_EQ(x["verdict"], "right") << r["remedy"];
    }
}

TEST_F(Shell, ASheetIsPrintedAtTheScaleAndPaperAskedFor) {
    auto r = run("sheet lantern-row.mezzet plan -o a.pdf --paper a3 --scale 1:25");
    EXPECT_EQ(r.code, 0) << r.error;
    EXPECT_NE(r.out.find("A3"), std::string::npos);
    EXPECT_NE(r.out.find("1:25"), std::string::npos);
    r = run("sheet lantern-row.mezzet plan -o a.svg --paper TABLOID --scale '1/4\"'");
    EXPECT_EQ(r.code, 0) << r.error;
    EXPECT_NE(read("a.svg").find("Supper table"), std::string::npos);
    r = run("sheet lantern-row.mezzet plan -o a.pdf --paper letter --scale 1:5");
    EXPECT_EQ(r.code, 3);
    EXPECT_NE(r.error.find("doesn't fit"), std::string::npos) << r.error;
    r = run("sheet lantern-row.mezzet plan -o nowhere/a.pdf");
    EXPECT_EQ(r.code, 3);
}

TEST_F(Shell, FilesThatAreNoneOfOursAreRefused) {
    write("text.mezzet", "hello");
    write("empty.mezzet", "");
    write("other.mezzet", "{\"format\": \"something\"}");
    std::ofstream(folder / "binary.mezzet", std::ios::binary) << std::string("\x00\xFF\x01", 3);
    for (const char* f : {"text", "empty", "other", "binary", "nothing-there"}) {
        for (const char* command : {"scene ", "check "}) {
            const auto r = run(command + std::string(f) + ".mezzet --json");
            EXPECT_EQ(r.code, 3) << f;
            EXPECT_TRUE(r.out.empty()) << f;
            EXPECT_EQ(r.error.rfind(std::string(f) + ".mezzet:", 0), 0U) << r.error;
        }
    }
    EXPECT_EQ(run("scene .").code, 3) << "a folder is no job";
}

TEST_F(Shell, ASavedJobIsReplacedOnlyByAWholeOne) {
    const auto before = read("lantern-row.mezzet");
    EXPECT_EQ(run("say lantern-row.mezzet 'remove sofa' 'remove sofa'").code, 3);
    EXPECT_EQ(read("lantern-row.mezzet"), before);
    EXPECT_EQ(run("say lantern-row.mezzet 'remove drinks table'").code, 0);
    EXPECT_NE(read("lantern-row.mezzet"), before);
}

TEST_F(Shell, ABadLibraryIsSaid) {
    EXPECT_EQ(run("scene lantern-row.mezzet", "MEZZET_DATA=/nowhere").code, 3);
    EXPECT_NE(read("err.txt").find("/nowhere/kit"), std::string::npos);
}
