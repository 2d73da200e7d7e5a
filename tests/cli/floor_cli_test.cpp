// The floor without a window: what fits, schemes side by side, facts, the kit, the rules page.
#include "cli/shell.h"

#include <nlohmann/json.hpp>

#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>

using json = nlohmann::json;
namespace fs = std::filesystem;

namespace {

class FloorShell : public mezzet::test::ShellTest {
protected:
    void SetUp() override {
        ShellTest::SetUp();
        fs::copy_file(fs::path(MEZZET_TEST_DATA) / "demo" / "lantern-row.mezzet",
                      folder / "job.mezzet");
    }
    mezzet::test::Ran here(const std::string& arguments) const {
        return run(arguments, "MEZZET_STUDIO=" + (folder / "studio").string());
    }
};

} // namespace

TEST_F(FloorShell, FitAnswersAndRefuses) {
    const auto rug = here("fit job.mezzet 'rug for seats' --json");
    ASSERT_EQ(rug.code, 0) << rug.error;
    const auto j = json::parse(rug.out);
    EXPECT_TRUE(j["yes"]);
    EXPECT_FALSE(j["choices"].empty());
    for (const auto& c : j["choices"])
        EXPECT_EQ(c["size_mm"].size(), 3U);
    const auto where = json::parse(here("fit job.mezzet 'where console 36 x 12' --json").out);
    EXPECT_FALSE(where["regions"].empty());
    const auto bad = here("fit job.mezzet elephant");
    EXPECT_EQ(bad.code, 3);
    EXPECT_EQ(bad.error.find("question:1:1:"), 0U) << bad.error;
    EXPECT_EQ(here("fit job.mezzet").code, 2);
}

TEST_F(FloorShell, SchemesAreLaidSideBySide) {
    const auto j = json::parse(here("schemes job.mezzet --json").out);
    ASSERT_EQ(j["schemes"].size(), 3U);
    EXPECT_TRUE(j["schemes"][0]["differs"].empty());
    EXPECT_FALSE(j["schemes"][1]["differs"].empty());
    EXPECT_EQ(j["schemes"][1]["seats"], 6);
    EXPECT_EQ(j["schemes"][1]["seats_for_guests"], 8);
    EXPECT_NE(here("schemes job.mezzet").out.find("Sofa to the hearth"), std::string::npos);
}

TEST_F(FloorShell, TheFloorsFactsAreJson) {
    const auto j = json::parse(here("floor job.mezzet").out);
    EXPECT_EQ(j["zones"].size(), 2U);
    EXPECT_FALSE(j["views"].empty());
    EXPECT_FALSE(j["ways"].empty());
    EXPECT_FALSE(j["use"].empty());
    double sum = 0;
    for (const auto& s : j["balance"]["footprint"])
        sum += s.get<double>();
    EXPECT_NEAR(sum, 1, 1e-9);
}

TEST_F(FloorShell, MendAllIsSaidAndTheJobIsBetterForIt) {
    const auto before = json::parse(here("schemes job.mezzet --json").out)["schemes"][0]["to_mend"];
    const auto said = here("say job.mezzet 'mend all within 36'");
    if (said.code == 0) {
        const auto after =
            json::parse(here("schemes job.mezzet --json").out)["schemes"][0]["to_mend"];
        EXPECT_LT(after.get<int>(), before.get<int>());
        EXPECT_EQ(said.out.find("Mends"), 0U) << said.out;
    } else {
        EXPECT_EQ(said.code, 3);
    }
}

TEST_F(FloorShell, TheKitGoesOutAsCsvAndOwnKindsComeIn) {
    ASSERT_EQ(here("kit --write kit.csv").code, 0);
    EXPECT_NE(read("kit.csv").find("sofa,Sofa,seat,sofa"), std::string::npos);
    write("own.csv", "name,width_in,depth_in,height_in\nHeron sofa,90,38,33\n");
    ASSERT_EQ(here("kit --read own.csv").code, 0);
    EXPECT_NE(here("kit --own").out.find("Heron sofa"), std::string::npos);
    EXPECT_EQ(here("say job.mezzet 'add heron sofa at 9 ft, 3 ft'").code, 0);
    // The job opens where the studio's kinds are not.
    EXPECT_EQ(run("check job.mezzet", "MEZZET_STUDIO=" + (folder / "nowhere").string()).code, 0);
    write("bad.csv", "name,width_in,depth_in,height_in\nHeron sofa,wide,38,33\n");
    const auto bad = here("kit --read bad.csv");
    EXPECT_EQ(bad.code, 3);
    EXPECT_EQ(bad.error.find("bad.csv:2:"), 0U) << bad.error;
}

TEST_F(FloorShell, TheRulesPageIsTheOneInTheDocs) {
    const auto page = run("rules");
    ASSERT_EQ(page.code, 0);
    std::ifstream in(fs::path(MEZZET_TEST_DATA).parent_path() / "docs" / "rules.md");
    const std::string kept{std::istreambuf_iterator<char>(in), {}};
    EXPECT_EQ(page.out, kept) << "make it anew: mezzet-cli rules > docs/rules.md";
}

TEST_F(FloorShell, ThePageOfTheLineIsTheOneInTheDocs) {
    const auto page = run("phrases");
    ASSERT_EQ(page.code, 0);
    std::ifstream in(fs::path(MEZZET_TEST_DATA).parent_path() / "docs" / "line.md");
    const std::string kept{std::istreambuf_iterator<char>(in), {}};
    EXPECT_EQ(page.out, kept) << "make it anew: mezzet-cli phrases > docs/line.md";
}

TEST_F(FloorShell, ItSpeaksTheLanguageThatIsAskedFor) {
    const auto german = run("rules --metric", "MEZZET_LANGUAGE=de");
    ASSERT_EQ(german.code, 0);
    EXPECT_EQ(german.out.find("# Regeln"), 0U) << german.out.substr(0, 80);
    EXPECT_NE(german.out.find("Band: 30 bis 45 cm"), std::string::npos);
    EXPECT_EQ(german.out.find("Source:"), std::string::npos);
    const auto line = run("say job.mezzet 'sofa againts wall Q'", "MEZZET_LANGUAGE=de");
    const auto english = run("say job.mezzet 'sofa againts wall Q'", "MEZZET_LANGUAGE=en");
    EXPECT_EQ(line.code, english.code);
    EXPECT_NE(line.error, english.error);
    EXPECT_NE(run("--help", "MEZZET_LANGUAGE=de").out, run("--help").out);
    // A language there isn't is English.
    EXPECT_EQ(run("rules", "MEZZET_LANGUAGE=xx").out, run("rules").out);
}

TEST_F(FloorShell, AnotherSchoolChangesTheSchoolAlone) {
    write("r.tape", "wall A 14'\n door 2' from left, 32 wide, hinge left, swings in\nwall B "
                    "12'\nwall C 14'\nwall D 12'\n");
    write("r.lines", "sofa against wall C, centred on wall C\npicture on wall C, 8 above sofa\n"
                     "household tall\naccess on\nbrief 6 seats\nband seat-to-table 10 to 12\n");
    ASSERT_EQ(here("build r.tape --lines r.lines -o r.mezzet").code, 0);
    const auto readings = [&](const std::string& options) {
        const auto r = here("check r.mezzet --json " + options);
        EXPECT_EQ(r.code, 0) << r.error;
        return nlohmann::json::parse(r.out);
    };
    const auto own = readings("");
    const auto other = readings("--school viewer-and-air");
    EXPECT_EQ(other["school"], "viewer-and-air");
    const auto has = [](const nlohmann::json& all, const char* rule) {
        for (const auto& x : all["readings"])
            if (x["rule"] == rule)
                return true;
        return false;
    };
    // The wheelchair, the brief and who looks stay as the job has them.
    for (const char* rule : {"seats-count", "turning-circle", "art-centre"}) {
        EXPECT_TRUE(has(own, rule)) << rule;
        EXPECT_TRUE(has(other, rule)) << rule;
    }
    for (const auto& x : other["readings"])
        if (x["rule"] == "art-centre") {
            EXPECT_NEAR((x["low"].get<double>() + x["high"].get<double>()) / 2, 66 * 25.4, 1e-6)
                << "for tall people";
        }
}
