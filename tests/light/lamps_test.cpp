// Lights of a job: where they shine from, what is told of them, what stands in their way.
#include "light/tasks.h"

#include "jobs.h"

#include <fmt/format.h>

#include <cmath>
#include <fstream>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Vec3 facingUp{0, 0, 1};

Lamp lampOf(const Project& job, const char* name, const LightScene* scene = nullptr) {
    const int id = job.scheme().byName(name)->id;
    for (const Lamp& l : lampsOf(job, **sceneOf(job), scene))
        if (l.piece == id)
            return l;
    throw std::runtime_error("no such lamp");
}

Project then(const Project& job, const std::string& line) {
    auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    return *apply(job, said->edit)->project;
}

} // namespace

TEST(Lamps, HangAsTheyAreSaid) {
    const auto job = jobWith({"round table 54 called supper table at 10', 8'",
                              "pendant over supper table, bottom 33 above supper table",
                              "recessed light at 3', 3'"});
    const auto scene = *sceneOf(job);
    const Lamp pendant = lampOf(job, "Pendant");
    // An 8 ft ceiling, a 30 in table: the lowest point is 63 in up, 33 in down.
    EXPECT_NEAR(pendant.drop, 33 * 25.4, 0.01);
    EXPECT_NEAR(pendant.at.x, 120 * 25.4, 0.01);
    EXPECT_NEAR(pendant.at.y, 96 * 25.4, 0.01);
    const Piece& p = *job.scheme().byName("Pendant");
    EXPECT_GT(pendant.at.z, 63 * 25.4);
    EXPECT_LT(pendant.at.z, 63 * 25.4 + p.size.height.mm());
    const Lamp can = lampOf(job, "Recessed light");
    EXPECT_NEAR(can.at.z, 96 * 25.4, 0.01);
    EXPECT_NEAR(can.drop, 0, 0.01);
    EXPECT_NEAR(can.lumens, 800, 1e-6);
    // H 0 runs along wall A, H 90 into the room, V 0 down.
    EXPECT_NEAR(can.x.x, 1, 1e-9);
    EXPECT_NEAR(can.y.y, 1, 1e-9);
    EXPECT_NEAR(can.z.z, -1, 1e-9);
}

TEST(Lamps, EveryKindShinesWithItsLumens) {
    int lights = 0;
    for (const KindPtr& k : library().kit->kinds()) {
        if (!k->light)
            continue;
        ++lights;
        const auto it = library().shines->find(k->light->shine);
        ASSERT_NE(it, library().shines->end()) << k->id;
        EXPECT_NEAR(it->second->lumens(), 1000, 1) << k->light->shine;
    }
    EXPECT_GE(lights, 30);
    for (const char* word :
         {"recessed light", "tilting light", "wall washer", "pendant", "pendant bar", "chandelier",
          "flush light", "semi-flush light", "linear light", "track", "ceiling fan", "strip",
          "picture light", "cove", "sconce", "floor lamp", "table lamp"}) {
        const auto kind = library().kit->byWord(word);
        ASSERT_TRUE(kind) << word;
        EXPECT_TRUE(kind->light) << word;
    }
}

TEST(Lamps, AreTurnedUpByTheirZones) {
    auto job = jobWith(
        {"pendant at 5', 5'", "add pendant at 10', 5'", "sconce on wall A, at 3', 68",
         "light zone Supper is pendant 1 and pendant 2", "light zone Hearth is sconce",
         "scene Supper is Supper 60 %, Hearth 30%", "scene Night is hearth off, Supper half",
         "switch Supper by door 1", "dim Supper", "maintain 0.8"});
    const LightPlan& plan = job.scheme().light;
    ASSERT_EQ(plan.zones.size(), 2U);
    EXPECT_EQ(plan.zones[0].lights.size(), 2U);
    EXPECT_EQ(plan.zones[0].switches.size(), 1U);
    EXPECT_TRUE(plan.zones[0].dims);
    EXPECT_NEAR(lampOf(job, "Pendant").factor / lampOf(job, "Pendant", plan.scene("supper")).factor,
                1 / 0.6, 1e-9);
    EXPECT_NEAR(lampOf(job, "Sconce", plan.scene("Supper")).lumens,
                0.3 * 0.8 * lampOf(job, "Sconce").lumens / 0.8, 1e-9);
    EXPECT_EQ(lampOf(job, "Sconce", plan.scene("Night")).lumens, 0);
    // What is in no zone is off in a scene.
    job = then(job, "flush light at 8', 8'");
    EXPECT_EQ(lampOf(job, "Flush light", job.scheme().light.scene("Supper")).lumens, 0);
    // A light is in one zone.
    job = then(job, "light zone Hearth is sconce and pendant");
    EXPECT_EQ(job.scheme().light.zone("Supper")->lights.size(), 1U);
    // What is removed is in none.
    job = then(job, "remove Pendant 2");
    EXPECT_TRUE(job.scheme().light.zone("Supper")->lights.empty());
    // It is all in the job's file.
    const auto again = readJob(jobText(job), "a.mezzet", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ((*again)->scheme().light, job.scheme().light);
}

TEST(Lamps, WhatCantBeIsRefused) {
    const auto job =
        jobWith({"pendant at 5', 5'", "sofa against wall A", "light zone Supper is pendant"});
    const auto before = jobText(job);
    for (const auto& [line, says] :
         {std::pair{"reflect walls 1", "no share"}, std::pair{"reflect walls 1.4", "no share"},
          std::pair{"reflect walls -0.2", ""}, std::pair{"reflect sofa 100 %", "no share"},
          std::pair{"maintain 0", "no light"},
          std::pair{"scene Day is Nowhere 50 %", "no light zone"},
          std::pair{"scene Day is Supper 120 %", "no share"},
          std::pair{"light zone Rest is sofa", "gives no light"},
          std::pair{"switch Supper by window 1", "door"},
          std::pair{"aim pendant at pendant", "itself"}, std::pair{"lumens -3 for pendant", ""},
          std::pair{"lumens 800 for sofa", "gives no light"},
          std::pair{"ies nothing.ies for pendant", "no such file"},
          std::pair{"pendant, drop 200", ""}}) {
        const auto p = refusal(job, line);
        EXPECT_FALSE(p.what.empty()) << line;
        EXPECT_NE(p.text().find(says), std::string::npos) << line << ": " << p.text();
    }
    EXPECT_EQ(jobText(job), before);
}

TEST(Lamps, ShineByAFile) {
    const auto path = testing::TempDir() + "spot of light.ies";
    std::ofstream(path)
        << "IESNA91\nTILT=NONE\n1 1000 1 3 1 1 2 0 0 0\n1 1 17\n0 45 90\n0\n1000 1000 "
           "1000\n";
    auto job = jobWith({"flush light at 10', 7'"});
    job = then(job, "ies " + path + " for flush light");
    const Lamp l = lampOf(job, "Flush light");
    EXPECT_DOUBLE_EQ(l.watts, 17);
    const LitRoom lit(job, **sceneOf(job));
    const double h = l.at.z / 1000;
    EXPECT_NEAR(lit.direct({l.at.x, l.at.y, 0}, facingUp), 1000 / (h * h), 1e-3);
    // A copy goes with the job.
    std::filesystem::remove(path);
    const auto again = readJob(jobText(job), "a.mezzet", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_DOUBLE_EQ(lampOf(**again, "Flush light").shines->at(45, 0), 1000);
    // Told otherwise, it gives that.
    job = then(job, "lumens 500 for flush light");
    EXPECT_NEAR(lampOf(job, "Flush light").lumens, 500, 1e-9);
}

TEST(Lamps, PiecesCastShadows) {
    const auto job = jobWith({"recessed light at 10', 7'", "dining table 72 x 38 x 30 at 10', 7'"});
    const auto bare = jobWith({"recessed light at 10', 7'"});
    const LitRoom with(job, **sceneOf(job));
    const LitRoom without(bare, **sceneOf(bare));
    const Vec3 under{120 * 25.4, 84 * 25.4, 0};
    EXPECT_GT(without.direct(under, facingUp), 50);
    EXPECT_EQ(with.direct(under, facingUp), 0);
    // Its top is lit, and the floor beside it.
    EXPECT_GT(with.direct({under.x, under.y, 30 * 25.4}, facingUp),
              without.direct(under, facingUp));
    const Vec3 beside{under.x, under.y + 60 * 25.4, 0};
    EXPECT_NEAR(with.direct(beside, facingUp), without.direct(beside, facingUp), 1e-9);
    // A rug lies in the light.
    const auto rug = jobWith({"recessed light at 10', 7'", "rug 9' x 6' at 10', 7'"});
    EXPECT_NEAR(LitRoom(rug, **sceneOf(rug)).direct(under, facingUp),
                without.direct(under, facingUp), 1e-9);
}

TEST(Lamps, ATallUnitStandsInTheLight) {
    // From a light at 4 ft, past a 78 in bookcase at 8 ft, the floor behind it is dark.
    const auto job = jobWith({"recessed light at 4', 7'",
                              "bookcase 60 x 12 x 78 at 8', 7' turned 90 called wall of books"});
    const LitRoom lit(job, **sceneOf(job));
    EXPECT_EQ(lit.direct({9 * 304.8, 7 * 304.8, 0}, facingUp), 0);
    EXPECT_GT(lit.direct({6 * 304.8, 7 * 304.8, 0}, facingUp), 0);
}

// The lumen method (E = lumens x utilisation / area): rough, and another way to the same: a room
// whose light is all caught has between a half and all of it on its floor at usual reflectances.
TEST(Lamps, AgreeWithTheLumenMethod) {
    std::vector<std::string> lines;
    for (int x = 0; x < 4; ++x)
        for (int y = 0; y < 3; ++y)
            lines.push_back(
                fmt::format("add recessed light at {}', {}'", 2.5 + 5 * x, 2.5 + 5 * y));
    const auto job = jobWith(lines);
    LitRoom lit(job, **sceneOf(job));
    ASSERT_TRUE(lit.pass());
    const auto grid = gridOf(lit, *job.room, Length::millimetres(250), {}, false);
    ASSERT_TRUE(grid);
    const double even = 12 * 800 / (20 * 15 * 0.09290304);
    EXPECT_GT(grid->mean, 0.75 * even);
    EXPECT_LT(grid->mean, 1.15 * even);
    EXPECT_GT(grid->evenness(), 0.35);
    EXPECT_EQ(grid->lux.size(), grid->rows * grid->columns);
}

TEST(Lamps, TasksAreKnownByTheirPieces) {
    const auto job =
        jobWith({"desk against wall A", "armchair at 10', 10'", "sofa against wall B",
                 "mirror 24 x 36 on wall D", "picture 30 x 24 on wall C", "bench at 4', 12'"});
    const auto tasks = tasksOf(job, **sceneOf(job));
    ASSERT_EQ(tasks.size(), 5U);
    EXPECT_EQ(tasks[0].name, "Desk, desk work");
    EXPECT_NEAR(tasks[0].at.z, 30 * 25.4, 0.01);
    EXPECT_EQ(tasks[0].least, 500);
    // Who looks into the mirror has the light in the face.
    EXPECT_NEAR(tasks[3].facing.x, -1, 1e-9);
    EXPECT_GT(tasks[3].at.z, 1500);
    // A picture is seen from the room.
    EXPECT_NEAR(tasks[4].facing.y, -1, 1e-9);
}

TEST(Lamps, AimedTheyShineThere) {
    const auto job = jobWith({"picture 30 x 24 on wall A, at 10', 60", "tilting light at 10', 3'",
                              "aim tilting light at picture"});
    const LitRoom lit(job, **sceneOf(job));
    const Lamp l = lampOf(job, "Tilting light");
    const Vec3 middle{10 * 304.8, 31.75, 60 * 25.4};
    EXPECT_NEAR(norm(l.at + l.z * norm(middle - l.at) - middle), 0, 20);
    const auto down = then(job, "aim tilting light down");
    EXPECT_GT(lit.direct(middle + Vec3{0, 5, 0}, {0, 1, 0}),
              LitRoom(down, **sceneOf(down)).direct(middle + Vec3{0, 5, 0}, {0, 1, 0}) * 2);
}

TEST(Lamps, AreMeasuredToTheirMiddlesAndHangInRows) {
    const auto job =
        jobWith({"recessed light 36 from wall A, 48 from wall D called Inner",
                 "recessed light edge 36 from wall A, edge 48 from wall D called Outer",
                 "pendant at 10', 8', drop 40", "dining table 96 x 40 x 30 at 12', 9'",
                 "three small pendants over dining table",
                 "a row of 4 small recessed lights 30 from wall C"});
    const auto middle = [&](const char* name) {
        const Vec3 at = lampOf(job, name).at;
        return Vec2{at.x / 25.4, at.y / 25.4};
    };
    EXPECT_NEAR(middle("Inner").x, 48, 1e-6);
    EXPECT_NEAR(middle("Inner").y, 36, 1e-6);
    EXPECT_NEAR(middle("Outer").x, 51, 1e-6);
    EXPECT_NEAR(middle("Outer").y, 39, 1e-6);
    EXPECT_NEAR(lampOf(job, "Pendant").drop / 25.4, 40, 1e-6);
    // Each over its third of the table.
    EXPECT_NEAR(middle("Small pendant").x, 144 - 32, 1e-6);
    EXPECT_NEAR(middle("Small pendant 2").x, 144, 1e-6);
    EXPECT_NEAR(middle("Small pendant 3").x, 144 + 32, 1e-6);
    EXPECT_NEAR(middle("Small pendant 2").y, 108, 1e-6);
    // Corners first, 36 from the side walls, even between.
    std::vector<double> xs;
    for (const char* name : {"Small recessed light", "Small recessed light 2",
                             "Small recessed light 3", "Small recessed light 4"}) {
        xs.push_back(middle(name).x);
        EXPECT_NEAR(middle(name).y, 150, 1e-6);
    }
    std::sort(xs.begin(), xs.end());
    EXPECT_NEAR(xs[0], 36, 1e-6);
    EXPECT_NEAR(xs[1] - xs[0], 56, 1e-6);
    EXPECT_NEAR(xs[3], 204, 1e-6);
    // A drop less than its own height, or through the floor, can't be.
    EXPECT_FALSE(refusal(job, "pendant, drop 6").what.empty());
    EXPECT_FALSE(refusal(job, "pendant, drop 100").what.empty());
}

TEST(Lamps, ACordIsLedAsideToAHook) {
    // 40 in from its ceiling to the lowest point, 60 in from its wire to its hook.
    const auto straight = jobWith({"pendant at 10', 8', drop 40"});
    const auto led = then(straight, "swag pendant from 5', 8'");
    const auto cord = [](const Project& job) {
        const auto scene = *sceneOf(job);
        const Piece& p = *job.scheme().byName("Pendant");
        return cordOf(p, *scene->byId(p.id)).inInches();
    };
    const double up = 40 - straight.scheme().byName("Pendant")->size.height.inInches();
    EXPECT_NEAR(cord(straight), up, 1e-6);
    // The arc of a parabola of 60 by 7 1/2, by Simpson's rule over its length.
    const double span = 60;
    const double sag = span / 8;
    double arc = 0;
    constexpr int parts = 1000;
    for (int i = 0; i <= parts; ++i) {
        const double x = span * i / parts - span / 2;
        const double slope = 8 * sag * x / (span * span);
        arc += std::hypot(1, slope) * (i == 0 || i == parts ? 1 : i % 2 == 1 ? 4 : 2);
    }
    arc *= span / parts / 3;
    EXPECT_NEAR(cord(led), up + arc, 1e-3);
    // It shines from where it hangs, and the file keeps its wire.
    EXPECT_EQ(lampOf(led, "Pendant").at, lampOf(straight, "Pendant").at);
    const auto again = readJob(jobText(led), "again", library());
    ASSERT_TRUE(again);
    EXPECT_NEAR((*again)->scheme().byName("Pendant")->light->wire->x, 60 * 25.4, 1e-6);
    EXPECT_NEAR(cord(then(led, "swag pendant straight")), up, 1e-6);
    for (const char* wrong : {"swag pendant from 50', 8'", "swag pendant from wall A",
                              "swag pendant from pendant", "swag pendant"})
        EXPECT_FALSE(readLine(wrong, straight)) << wrong;
    EXPECT_FALSE(readLine("swag lamp from 5', 8'", jobWith({"floor lamp called lamp"})));
}
