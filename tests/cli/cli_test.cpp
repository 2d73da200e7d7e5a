#include "cli/shell.h"
#include "jobs.h"

#include <nlohmann/json.hpp>

#include <filesystem>

using json = nlohmann::json;
namespace fs = std::filesystem;

namespace {

class Cli : public mezzet::test::ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        write("room.tape", mezzet::test::plainNotes());
    }
};

} // namespace

TEST_F(Cli, SurveyTellsHowTheRoomCloses) {
    const auto r = run("survey room.tape --json");
    ASSERT_EQ(r.code, 0) << r.error;
    const auto j = json::parse(r.out);
    EXPECT_NEAR(j["perimeter_mm"].get<double>(), 70 * 304.8, 1e-6);
    EXPECT_EQ(j["corners_mm"].size(), 4U);
    EXPECT_NEAR(j["area_m2"].get<double>(), 300 * 0.09290304, 1e-6);
    EXPECT_NE(run("survey room.tape").out.find("wall A"), std::string::npos);
}

TEST_F(Cli, BuildsSaysChecksAndPrints) {
    write("pieces.lines", "sofa 84 x 36 against wall A, centred on window 1\ncoffee table 8 from "
                          "sofa, centred on sofa\n");
    ASSERT_EQ(run("build room.tape --lines pieces.lines -o job.mezzet").code, 0);
    auto j = json::parse(run("check job.mezzet --json").out);
    EXPECT_EQ(j["school"], "low-and-close");
    const auto& gap = j["readings"][0];
    EXPECT_EQ(gap["rule"], "seat-to-table");
    EXPECT_EQ(gap["of"], json({"Coffee table", "Sofa"}));
    EXPECT_NEAR(gap["value_mm"].get<double>(), 203.2, 1e-6);
    EXPECT_EQ(gap["verdict"], "tight");
    EXPECT_EQ(gap["surface"], "floor");
    EXPECT_EQ(gap["at"].size(), 2U);
    const auto remedy = gap["remedy"].get<std::string>();
    ASSERT_EQ(run("say job.mezzet '" + remedy + "'").code, 0) << "a remedy can be said";
    j = json::parse(run("check job.mezzet --json --school viewer-and-air").out);
    EXPECT_EQ(j["school"], "viewer-and-air");
    EXPECT_EQ(j["readings"][0]["verdict"], "right");
    const auto scene = json::parse(run("scene job.mezzet --json").out);
    const auto& sofa = scene["pieces"][0];
    EXPECT_EQ(sofa["name"], "Sofa");
    EXPECT_EQ(sofa["kind"], "sofa");
    EXPECT_NEAR(sofa["corners"][0][0].get<double>(), (120 - 42) * 25.4, 1e-3);
    for (const char* f : {"plan.pdf", "plan.svg", "plan.png"}) {
        EXPECT_EQ(run(std::string("sheet job.mezzet plan -o ") + f).code, 0) << f;
        EXPECT_GT(fs::file_size(folder / f), 1000U);
    }
}

TEST_F(Cli, BadInputEndsWith3AndNamesThePlace) {
    write("bad.tape", "room X\nwall A 12'\n windw 2'\n");
    auto r = run("survey bad.tape");
    EXPECT_EQ(r.code, 3);
    EXPECT_EQ(r.error.rfind("bad.tape:3:2: ", 0), 0U) << r.error;
    write("bad.lines", "sofa agianst wall A\n");
    r = run("build room.tape --lines bad.lines -o never.mezzet");
    EXPECT_EQ(r.code, 3);
    EXPECT_EQ(r.error.rfind("bad.lines:1:6: ", 0), 0U) << r.error;
    EXPECT_FALSE(fs::exists(folder / "never.mezzet"));
    write("bad.mezzet", "{ \"format\": ");
    EXPECT_EQ(run("check bad.mezzet").code, 3);
    EXPECT_EQ(run("check missing.mezzet").code, 3);
}

TEST_F(Cli, ARefusedLineSavesNothing) {
    run("build room.tape -o job.mezzet");
    const auto before = read("job.mezzet");
    const auto r = run("say job.mezzet 'sofa against wall A' 'soffa against wall B'");
    EXPECT_EQ(r.code, 3);
    EXPECT_EQ(r.error.rfind("line:2:1: ", 0), 0U) << r.error;
    EXPECT_EQ(read("job.mezzet"), before);
}

TEST_F(Cli, WrongUsageEndsWith2) {
    run("build room.tape -o job.mezzet");
    for (const char* a :
         {"", "fly", "survey", "check job.mezzet --school none", "sheet job.mezzet roof -o x.pdf",
          "sheet job.mezzet plan -o x.doc", "sheet job.mezzet plan -o x.pdf --paper a9",
          "sheet job.mezzet plan -o x.pdf --scale big"})
        EXPECT_EQ(run(a).code, 2) << a;
    EXPECT_EQ(run("--help").code, 0);
}
