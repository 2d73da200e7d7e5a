// The commands about light, by the forms other programs go by.
#include "cli/shell.h"

#include <nlohmann/json.hpp>

#include <gtest/gtest.h>

#include <cmath>

using json = nlohmann::json;

namespace {

class LightShell : public mezzet::test::JobShellTest {};

const char* steady =
    "IESNA91\nTILT=NONE\n1 -1 1 3 1 1 2 0 0 0\n1 1 21\n0 90 180\n0\n1000 1000 1000\n";

} // namespace

TEST_F(LightShell, TellsFixturesTasksZonesAndTheFloor) {
    build("recessed light at 5', 5'\nadd recessed light at 15', 5'\n"
          "desk against wall A, 3' from corner AB\n"
          "light zone Work is recessed light 1 and recessed light 2\nscene Low is Work 25 %\n");
    const auto j = told("light job.mezzet --json");
    ASSERT_EQ(j["fixtures"].size(), 2U);
    const auto& f = j["fixtures"][0];
    EXPECT_EQ(f["name"], "Recessed light");
    EXPECT_EQ(f["kind"], "recessed light");
    EXPECT_NEAR(f["at"][0], 1524, 0.01);
    EXPECT_NEAR(f["at"][1], 1524, 0.01);
    EXPECT_NEAR(f["at"][2], 2438.4, 0.01);
    EXPECT_NEAR(f["drop_mm"], 0, 0.01);
    EXPECT_NEAR(f["lumens"], 800, 0.01);
    EXPECT_NEAR(f["watts"], 10, 0.01);
    EXPECT_EQ(f["zone"], "Work");
    ASSERT_EQ(j["tasks"].size(), 1U);
    const auto& t = j["tasks"][0];
    EXPECT_NEAR(t["at"][2], 762, 0.01);
    EXPECT_NEAR(t["lux"].get<double>(), t["direct"].get<double>() + t["bounced"].get<double>(),
                0.01);
    EXPECT_EQ(t["wanted"], 500);
    EXPECT_EQ(j["zones"][0]["name"], "Work");
    EXPECT_NEAR(j["zones"][0]["watts"], 20, 0.01);
    EXPECT_EQ(j["zones"][0]["fixtures"].size(), 2U);
    EXPECT_GT(j["floor"]["mean"].get<double>(), j["floor"]["least"].get<double>());
    EXPECT_NEAR(j["floor"]["evenness"].get<double>(),
                j["floor"]["least"].get<double>() / j["floor"]["mean"].get<double>(), 1e-3);
    // A scene turns them down, and all that comes of them.
    const auto low = told("light job.mezzet --scene low --json");
    EXPECT_NEAR(low["floor"]["mean"].get<double>(), j["floor"]["mean"].get<double>() / 4, 0.05);
    EXPECT_EQ(here("light job.mezzet --scene Nowhere").code, 3);
}

// The inverse square law under a steady 1000 cd.
TEST_F(LightShell, TellsTheLightAtAPoint) {
    write("steady.ies", steady);
    build("recessed light at 10', 7'\nies steady.ies for recessed light\n");
    const double h = 2.4384;
    const auto up = told("light job.mezzet --at 3048,2133.6,0 --direct --json");
    EXPECT_NEAR(up["direct"], 1000 / (h * h), 0.01);
    EXPECT_NEAR(up["lux"], 1000 / (h * h), 0.01);
    EXPECT_EQ(up["bounced"], 0);
    const auto aside = told("light job.mezzet --at 5048,2133.6,0 --facing -1,0,0 --direct --json");
    const double far2 = h * h + 4;
    EXPECT_NEAR(aside["direct"], 1000 * 2 / (far2 * std::sqrt(far2)), 0.01);
    const auto all = told("light job.mezzet --at 3048,2133.6,0 --json");
    EXPECT_GT(all["bounced"].get<double>(), 10);
    // What walls, ceiling and floor give back is told.
    ASSERT_EQ(
        here("say job.mezzet \"reflect walls 0\" \"reflect ceiling 0\" \"reflect floor 0\"").code,
        0);
    EXPECT_NEAR(told("light job.mezzet --at 3048,2133.6,0 --json")["bounced"].get<double>(), 0,
                1e-6);
    EXPECT_EQ(here("light job.mezzet --at 1,2").code, 2);
    EXPECT_EQ(here("light job.mezzet --at 1,2,x").code, 2);
    EXPECT_EQ(here("light job.mezzet --at 1,2,3 --facing 0,0,0").code, 2);
}

TEST_F(LightShell, TellsAGridInRowsAlongX) {
    build("recessed light at 5', 5'\n");
    const auto j = told("light job.mezzet --grid 500mm --direct --json")["grid"];
    EXPECT_NEAR(j["step_mm"], 500, 1e-9);
    const auto& rows = j["lux"];
    ASSERT_EQ(rows.size(), 9U);     // 4572 mm
    ASSERT_EQ(rows[0].size(), 12U); // 6096 mm
    const auto at = [&](std::size_t r, std::size_t c) {
        const double x = j["from"][0].get<double>() + 500.0 * static_cast<double>(c);
        const double y = j["from"][1].get<double>() + 500.0 * static_cast<double>(r);
        return std::to_string(x) + "," + std::to_string(y) + ",0";
    };
    for (const auto& [r, c] : {std::pair{0, 0}, std::pair{2, 3}, std::pair{8, 11}}) {
        const auto point =
            told("light job.mezzet --at " +
                 at(static_cast<std::size_t>(r), static_cast<std::size_t>(c)) + " --direct --json");
        EXPECT_NEAR(rows[static_cast<std::size_t>(r)][static_cast<std::size_t>(c)].get<double>(),
                    point["lux"].get<double>(), 0.01);
    }
    // Nearer the lamp it is brighter.
    const auto high = told("light job.mezzet --grid 500mm --height 30 --direct --json")["grid"];
    EXPECT_GT(high["lux"][2][3].get<double>(), rows[2][3].get<double>());
    EXPECT_EQ(here("light job.mezzet --grid 0").code, 2);
    EXPECT_EQ(here("light job.mezzet --grid 1mm").code, 2);
}

TEST_F(LightShell, ReadsPhotometry) {
    write("steady.ies", steady);
    const auto j = told("photometry steady.ies --at 45,10 --json");
    EXPECT_NEAR(j["lumens"], 4 * 3.14159265358979 * 1000, 0.01);
    EXPECT_EQ(j["watts"], 21);
    EXPECT_EQ(j["candela"], 1000);
    EXPECT_EQ(here("photometry steady.ies -o curve.svg").code, 0);
    EXPECT_NE(read("curve.svg").find("<svg"), std::string::npos);
    EXPECT_EQ(here("photometry steady.ies -o curve.txt").code, 2);
    write("broken.ies",
          "IESNA91\nTILT=NONE\n1 -1 1 3 1 1 2 0 0 0\n1 1 21\n0 90 180\n0\n1000 -5 1000\n");
    const auto ran = here("photometry broken.ies");
    EXPECT_EQ(ran.code, 3);
    EXPECT_NE(ran.error.find("broken.ies:7:"), std::string::npos) << ran.error;
    EXPECT_EQ(here("photometry nothing.ies").code, 3);
    EXPECT_EQ(here("photometry steady.ies --at 45").code, 2);
    // A line that can't be changes nothing.
    build("recessed light at 10', 7'\n");
    const auto before = here("light job.mezzet --json").out;
    EXPECT_EQ(here("say job.mezzet \"ies broken.ies for recessed light\"").code, 3);
    EXPECT_EQ(here("say job.mezzet \"reflect walls 1\"").code, 3);
    EXPECT_EQ(here("light job.mezzet --json").out, before);
}

TEST_F(LightShell, PrintsTheCeilingAndTheLights) {
    build(
        "light this room evenly\ndining table 84 x 40 at 10', 8'\n"
        "pendant bar over dining table, 33 above dining table\n"
        "light zone Supper is pendant bar\nswitch Supper by door 1\nscene Supper is Supper 60 %\n");
    for (const char* sheet : {"ceiling -o c.pdf", "ceiling -o c.svg", "lighting -o l.pdf"}) {
        const auto ran = here(std::string("sheet job.mezzet ") + sheet);
        EXPECT_EQ(ran.code, 0) << sheet << ": " << ran.error;
    }
    ASSERT_EQ(here("sheet job.mezzet lighting -o l.csv").code, 0);
    const auto table = read("l.csv");
    EXPECT_NE(table.find("Pendant bar,pendant bar"), std::string::npos) << table;
    EXPECT_NE(table.find("Supper"), std::string::npos);
    ASSERT_EQ(here("export job.mezzet -o plan.dxf").code, 0);
    EXPECT_NE(read("plan.dxf").find("CEILING"), std::string::npos);
}
