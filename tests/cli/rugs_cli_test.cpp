// The commands about rugs, by the forms other programs go by.
#include "cli/shell.h"

#include <nlohmann/json.hpp>

#include <gtest/gtest.h>

#include <cmath>
#include <fstream>

using json = nlohmann::json;

namespace {

class RugShell : public mezzet::test::ShellTest {
protected:
    mezzet::test::Ran here(const std::string& arguments) const {
        return run(arguments, "MEZZET_STUDIO=" + (folder / "studio").string());
    }
    void build(const std::string& notes, const std::string& lines) const {
        write("room.txt", notes);
        write("lines.txt", lines);
        const auto built = here("build room.txt --lines lines.txt -o job.mezzet");
        ASSERT_EQ(built.code, 0) << built.error;
    }
};

const char* plain = "room Plain\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n door 2' from "
                    "left, 32 wide, 80 high, hinge right, swings in, undercut 3/4\nwall D 15'\n";

} // namespace

TEST_F(RugShell, CutTellsWhatToOrder) {
    const auto ran = here("cut \"9' x 12'\" \"2' 3\\\" x 18'\" --roll \"12'\" --json");
    ASSERT_EQ(ran.code, 0) << ran.error;
    const auto j = json::parse(ran.out);
    ASSERT_EQ(j["rolls"].size(), 1U);
    const auto& roll = j["rolls"][0];
    EXPECT_NEAR(roll["width_mm"], 3657.6, 1e-6);
    // 18 ft and its two allowances; the two lie side by side: 112 + 31 is under 144.
    EXPECT_NEAR(roll["length_mm"], (18 * 12 + 4) * 25.4, 1e-6);
    EXPECT_NEAR(roll["waste"], 1 - (108.0 * 144 + 27 * 216) / (144.0 * 220), 1e-6);
    EXPECT_TRUE(roll["seams"].empty());
    ASSERT_EQ(roll["cuts"].size(), 2U);
    EXPECT_NEAR(roll["cuts"][0]["size_mm"][0], 112 * 25.4, 1e-6);
    EXPECT_NEAR(roll["cuts"][0]["size_mm"][1], 148 * 25.4, 1e-6);
}

TEST_F(RugShell, CutMakesSeamsOnlyWhereAsked) {
    EXPECT_EQ(here("cut \"15' x 12'\" --roll \"12'\" --json").code, 3);
    const auto j = json::parse(here("cut \"15' x 12'\" --roll \"12'\" --seams --json").out);
    ASSERT_EQ(j["rolls"][0]["seams"].size(), 1U);
    EXPECT_NEAR(j["rolls"][0]["seams"][0]["length_mm"], 144 * 25.4, 1e-6);
    EXPECT_EQ(j["rolls"][0]["cuts"].size(), 2U);
    EXPECT_NEAR(j["rolls"][0]["length_mm"], 2 * 148 * 25.4, 1e-6);
}

TEST_F(RugShell, CutListsTheRollsThatCanTakeItLeastWasteFirst) {
    const auto j = json::parse(here("cut \"12' 6\\\" x 10'\" --json").out);
    ASSERT_GE(j["rolls"].size(), 3U);
    double before = -1;
    for (const auto& roll : j["rolls"]) {
        EXPECT_GE(double(roll["width_mm"]), (150 + 4) * 25.4 - 1e-6);
        EXPECT_GE(double(roll["waste"]), before);
        before = roll["waste"];
    }
    const auto two =
        json::parse(here("cut \"4' x 6'\" --roll \"15'\" --roll \"12'\" --allowance 0 --json").out);
    ASSERT_EQ(two["rolls"].size(), 2U);
    EXPECT_NEAR(two["rolls"][0]["width_mm"], 4572, 1e-6);
    EXPECT_NEAR(two["rolls"][0]["length_mm"], 72 * 25.4, 1e-6);
}

TEST_F(RugShell, CutGoesByCentimetresWhereItIsSaidInMetric) {
    const auto j = json::parse(here("cut '2.5 m x 4 m' --roll 4m --json").out);
    EXPECT_NEAR(j["rolls"][0]["cuts"][0]["size_mm"][0], 2600, 1e-6);
    EXPECT_NEAR(j["rolls"][0]["length_mm"], 4100, 1e-6);
}

TEST_F(RugShell, RunnerTakesLengthsOfTwoWords) {
    const auto ran =
        here("runner --riser 7 1/2 --going 10 --nosing 1 --count 13 --width 27 --json");
    ASSERT_EQ(ran.code, 0) << ran.error;
    const auto j = json::parse(ran.out);
    EXPECT_NEAR(j["length_mm"], (13 * 7.5 + 120) * 25.4, 1e-3);
    EXPECT_EQ(j["pieces"], 1);
    EXPECT_NEAR(j["opening_mm"], 9.525 * std::acos(0.0), 1e-3);
    const auto capped = json::parse(here("runner --riser 7 1/2 --going 10 --count 13 --width 27 "
                                         "--landing 36 --landing 40 1/2 --capped --pile 1/2 --json")
                                        .out);
    EXPECT_NEAR(capped["length_mm"], (13 * 7.5 + 120 + 26 + 76.5) * 25.4, 1e-3);
    EXPECT_NEAR(capped["opening_mm"], 12.7 * 2 * std::acos(0.0), 1e-3);
    EXPECT_EQ(here("runner --riser 7 --going 10 --nosing 0 --count 13 --width 27").code, 0);
    EXPECT_EQ(here("runner --riser 7 --going 10 --nosing 0 --count 13 --width 27 --capped").code,
              3);
    EXPECT_EQ(here("runner --riser 7 --going 10 --count 0 --width 27").code, 3);
    EXPECT_EQ(here("runner --riser x --going 10 --count 3 --width 27").code, 3);
}

TEST_F(RugShell, RugsTellOutlineEdgesHoldAndCuts) {
    build(plain, "sofa 84 x 36 x 34 at 120, 40, facing wall C\n"
                 "rug 96 x 60 called Ground at 120, 82\n"
                 "Ground edges in serging\nedge 2 of Ground in leather tape 3\n"
                 "rug called ell, corners at 20, 100; 100, 100; 100, 140; 60, 140; 60, 170; 20, "
                 "170\n");
    const auto ran = here("rugs job.mezzet --roll \"12'\" --json");
    ASSERT_EQ(ran.code, 0) << ran.error;
    const auto j = json::parse(ran.out);
    ASSERT_EQ(j["rugs"].size(), 2U);
    const auto& ground = j["rugs"][0];
    EXPECT_EQ(ground["name"], "Ground");
    EXPECT_NEAR(ground["area_m2"], 96 * 60 * 25.4 * 25.4 / 1e6, 1e-6);
    EXPECT_NEAR(ground["perimeter_mm"], 312 * 25.4, 1e-6);
    ASSERT_EQ(ground["edges"].size(), 4U);
    EXPECT_EQ(ground["edges"][1]["finish"], "leather-tape");
    EXPECT_EQ(ground["edges"][0]["finish"], "serging");
    EXPECT_GT(double(ground["edges"][1]["price"]) / double(ground["edges"][1]["length_mm"]),
              double(ground["edges"][0]["price"]) / double(ground["edges"][0]["length_mm"]) * 1.5);
    ASSERT_EQ(ground["hold"].size(), 1U);
    EXPECT_EQ(ground["hold"][0]["seat"], "Sofa");
    EXPECT_EQ(ground["hold"][0]["how"], "front");
    EXPECT_EQ(ground["hold"][0]["legs"], 4);
    EXPECT_EQ(ground["hold"][0]["legs_on"], 2);
    const auto& ell = j["rugs"][1];
    ASSERT_EQ(ell["outline_mm"].size(), 6U);
    EXPECT_NEAR(ell["outline_mm"][0][0], 20 * 25.4, 1e-3);
    EXPECT_NEAR(ell["edges"][0]["length_mm"], 80 * 25.4, 1e-3);
    EXPECT_EQ(ell["hold"][0]["how"], "none");
    ASSERT_EQ(j["rolls"].size(), 1U);
    EXPECT_EQ(j["rolls"][0]["cuts"].size(), 2U);
}

TEST_F(RugShell, ARugWiderThanTheRollIsSeamedOnTheFloorsOwnPlace) {
    build(plain, "rug called Ground cut to the room, 10 off the walls\n");
    const auto j = json::parse(here("rugs job.mezzet --roll \"12'\" --json").out);
    const auto& roll = j["rolls"][0];
    ASSERT_EQ(roll["seams"].size(), 1U);
    const auto& seam = roll["seams"][0];
    EXPECT_EQ(seam["rug"], "Ground");
    EXPECT_NEAR(seam["length_mm"], 220 * 25.4, 0.1);
    // Along the room, since the pile runs along the longer side.
    EXPECT_NEAR(seam["from"][1], seam["to"][1], 0.1);
    EXPECT_EQ(roll["cuts"].size(), 2U);
}

TEST_F(RugShell, EachMaterialComesOffARollOfItsOwn) {
    build(plain, "rug 96 x 60 called Ground at 60, 60\nGround made of wool looped\n"
                 "rug 60 x 48 called Other at 180, 60\nOther made of sisal\n"
                 "rug 60 x 40 called Third at 60, 140\nThird made of wool looped\n");
    const auto j = json::parse(here("rugs job.mezzet --roll \"12'\" --json").out);
    ASSERT_EQ(j["rolls"].size(), 2U);
    EXPECT_EQ(j["rolls"][0]["material"], "wool, looped");
    EXPECT_EQ(j["rolls"][0]["cuts"].size(), 2U);
    EXPECT_EQ(j["rolls"][0]["cuts"][1]["rug"], "Third");
    EXPECT_EQ(j["rolls"][1]["material"], "sisal");
    EXPECT_NEAR(j["rolls"][1]["price"],
                double(j["rolls"][1]["width_mm"]) * double(j["rolls"][1]["length_mm"]) / 1e6 * 48,
                0.01);
}

TEST_F(RugShell, SheetsForTheWorkroomArePrinted) {
    build(plain, "rug called Ground cut to the room, 10 off the walls, 14 off wall B\n"
                 "Ground edges in serging, made of wool looped\n");
    for (const char* which : {"rug-order", "cutting"})
        for (const char* end : {"pdf", "svg", "png"}) {
            const auto ran = here(std::string("sheet job.mezzet ") + which + " -o out." + end);
            EXPECT_EQ(ran.code, 0) << which << " " << end << ": " << ran.error;
        }
    EXPECT_EQ(here("export job.mezzet -o plan.dxf").code, 0);
}

TEST_F(RugShell, AStairsRunnerIsOrderedAsItIsCut) {
    build(
        "room Hall\nceiling 8'\nwall A 20'\nwall B 8'\nwall C 20'\n stairs 24 from left, 36 wide, "
        "riser 7 1/2, going 10, count 13, up right\nwall D 8'\n",
        "runner 27 wide called Flight on stairs 1, landing 36 after 6, turning\n");
    const auto ran = here("rugs job.mezzet --roll \"12'\" --json");
    ASSERT_EQ(ran.code, 0) << ran.error;
    const auto j = json::parse(ran.out);
    // 13 risers of 7 1/2, 12 goings of 10 and the landing: 253 1/2; bound along both sides.
    const auto& edges = j["rugs"][0]["edges"];
    EXPECT_NEAR(edges[0]["length_mm"], 253.5 * 25.4, 0.01);
    EXPECT_EQ(edges[0]["finish"], "binding");
    EXPECT_EQ(edges[1]["finish"], "");
    const auto& cuts = j["rolls"][0]["cuts"];
    ASSERT_EQ(cuts.size(), 2U);
    EXPECT_NEAR(cuts[0]["size_mm"][1], (6 * 17.5 + 4) * 25.4, 0.01);
    EXPECT_NEAR(cuts[1]["size_mm"][1], (36 + 6 * 17.5 + 7.5 + 4) * 25.4, 0.01);
    EXPECT_TRUE(j["rolls"][0]["seams"].empty()) << "a turn is no seam";
    ASSERT_EQ(here("sheet job.mezzet rug-order -o order.svg").code, 0);
}

TEST_F(RugShell, WhatCantBeIsToldAndChangesNothing) {
    build(plain, "rug called Ground at 120, 90\n");
    const auto before = read("job.mezzet");
    for (const char* line :
         {"rug corners at 24, 24; 120, 96; 120, 24; 24, 96",
          "rug cut to the room, 200 off the walls", "edge 9 of Ground in serging",
          "Ground repeat 0", "runner on stairs 1"}) {
        const auto ran = here(std::string("say job.mezzet '") + line + "'");
        EXPECT_EQ(ran.code, 3) << line;
        EXPECT_FALSE(ran.error.empty());
    }
    EXPECT_EQ(read("job.mezzet"), before);
    EXPECT_EQ(here("rugs job.mezzet --roll 0").code, 3);
    EXPECT_EQ(here("rugs nothing.mezzet").code, 3);
    std::filesystem::create_directories(folder / "studio");
    write("studio/rugs.json",
          R"({"format": "mezzet-rugs 1", "edges": [{"id": "binding", "name": "b",
        "a metre": "dear"}]})");
    const auto told = here("rugs job.mezzet --json");
    EXPECT_EQ(told.code, 0);
    EXPECT_NE(told.error.find("a metre"), std::string::npos) << told.error;
}
