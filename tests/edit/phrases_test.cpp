// A whole room said the way people say it, and files of the program's own put through the mill.
#include "files/whole_file.h"
#include "jobs.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <filesystem>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* bayNotes() {
    return "room Supper room\nceiling 8' 2\"\nwall A 15' 0\"\n"
           "  window 2' 10\" from left, 5' 0\" wide, 4' 6\" high, sill 2' 8\"\ncorner 135\n"
           "wall B 4' 11 3/8\"\ncorner 135\nwall C 11' 0 1/8\"\n"
           "  studs 16 apart, first 14 from left\n  outlet 8 from left, 14 up\n"
           "wall D 18' 6 1/4\"\n"
           "  door 2' 0\" from left, 32 wide, 80 high, hinge right, swings in, undercut 3/4\n"
           "wall E 14' 6\"\n  chimney 4' 6\" from left, 56 wide, 14 deep\n"
           "diagonal A to D 23' 6\"\n";
}

} // namespace

TEST(Phrases, ARoomIsFurnishedByWhatOneWouldSay) {
    const auto job =
        jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                 "coffee table 48 x 26 x 17, 16 from sofa, centred on sofa",
                 "round table 54 called supper table at 6' 8\" from wall E, 4' 2\" "
                 "from wall A",
                 "rug 96 x 60 at 9', 11'", "wing chair called \"Wing chair, left\" at 4', 11'",
                 "move wing chair left 6 from rug edge", "turn wing chair left to face sofa",
                 "size sofa 78 x 36", "floor lamp in corner DE", "remove floor lamp",
                 "school close and low"},
                bayNotes());
    EXPECT_NEAR(job.scheme().byName("Sofa")->size.width.inInches(), 78, 1e-9);
    const auto table = poseOf(job, "supper table");
    EXPECT_NEAR(table.at.x / 25.4, 80, 0.2) << "at … from measures to the centre";
    EXPECT_NEAR(table.at.y / 25.4, 50, 0.2);
    EXPECT_EQ(job.scheme().byName("Floor lamp"), nullptr);
    const auto chair = poseOf(job, "Wing chair, left");
    EXPECT_NEAR(dot(unit(poseOf(job, "Sofa").at - chair.at), chair.front()), 1, 1e-6);
    EXPECT_EQ(job.judgement.school, "low-and-close");
}

TEST(Phrases, TheSameRoomCanBeSaidInCentimetres) {
    const auto feet = jobWith({"sofa 84in x 36in against wall A, 12in from corner EA",
                               "coffee table 48in x 26in, 40cm from sofa, centred on sofa"},
                              bayNotes());
    const auto metric =
        jobWith({"units cm", "sofa 213.36 x 91.44 against wall A, 30.48 from corner EA",
                 "coffee table 121.92 x 66.04, 40 from sofa, centred on sofa"},
                bayNotes());
    for (const char* n : {"Sofa", "Coffee table"})
        EXPECT_NEAR(norm(poseOf(feet, n).at - poseOf(metric, n).at), 0, 1e-6) << n;
}

TEST(Phrases, OrderWithinALineDoesNotMatter) {
    const char* ways[] = {"sofa 84 x 36 against wall A, centred on window 1",
                          "sofa 84 x 36, centred on window 1, against wall A",
                          "sofa, against wall A and centred on window 1",
                          "put a sofa 84 x 36 against the wall A, then centred on the window"};
    std::vector<Vec2> places;
    for (const char* w : ways)
        places.push_back(poseOf(jobWith({w}, bayNotes()), "Sofa").at);
    for (const auto& p : places)
        EXPECT_NEAR(norm(p - places.front()), 0, 1e-9);
}

TEST(Phrases, EveryKindOfTheKitCanBePlacedByItsName) {
    for (const auto& k : library().kit->kinds()) {
        const auto job = jobWith({});
        if (k->underCeiling()) {
            EXPECT_FALSE(readLine(k->name + " on wall A", job)) << k->name;
            EXPECT_TRUE(readLine(k->name + " 40 from wall A", job)) << k->name;
            continue;
        }
        const auto said = readLine(k->name + " against wall A, centred on wall A", job);
        if (k->role == Role::group) {
            EXPECT_FALSE(said) << "a group is made of what hangs";
            continue;
        }
        ASSERT_TRUE(said) << k->name << ": " << said.problem().text();
        const auto after = apply(job, said->edit);
        ASSERT_TRUE(after) << k->name;
        const Scheme& s = after->project->scheme();
        const auto& p = s.pieces.front();
        EXPECT_EQ(p.kind, k);
        if (k->hangs())
            EXPECT_NEAR(after->scene->walls.placed[0].pose.at.x, 120 * 25.4, 1e-6) << k->name;
        else
            EXPECT_NEAR(-extent(after->scene->floor.placed[0].shape, {0, -1}), 0, 1e-6) << k->name;
        if (!k->caution.empty())
            EXPECT_NE(said->preview.find(k->caution), std::string::npos) << "said as it is placed";
    }
}

TEST(Mill, AKitFileWithAnythingInItIsReadOrRefused) {
    namespace fs = std::filesystem;
    std::mt19937 random(21);
    for (const auto& f : fs::directory_iterator(fs::path(MEZZET_TEST_DATA) / "kit")) {
        const auto good = *readTextFile(f.path(), 1000000);
        for (int i = 0; i < 120; ++i) {
            auto text = good;
            for (int k = 0; k < 3; ++k) {
                const auto at = random() % text.size();
                if (random() % 2 == 0)
                    text[at] = static_cast<char>(32 + random() % 95);
                else
                    text.erase(at, 1 + random() % 5);
            }
            const auto r = readKit(text, "k.json");
            if (!r)
                EXPECT_FALSE(r.problem().what.empty());
        }
    }
}

TEST(Mill, ARuleBookWithAnythingInItIsReadOrRefused) {
    const auto good =
        *readTextFile(std::filesystem::path(MEZZET_TEST_DATA) / "rules" / "book.json", 1000000);
    std::mt19937 random(22);
    const auto job = jobWith({"sofa against wall A", "coffee table 8 from sofa"});
    for (int i = 0; i < 300; ++i) {
        auto text = good;
        for (int k = 0; k < 2; ++k)
            text[random() % text.size()] = static_cast<char>(32 + random() % 95);
        const auto r = readRuleBook(text, "b.json");
        if (r) // whatever was read can be judged by
            EXPECT_NO_FATAL_FAILURE(judge(**sceneOf(job), **r, job.judgement));
        else
            EXPECT_FALSE(r.problem().what.empty());
    }
}

TEST(Mill, TheLineTakesAnyBytes) {
    const auto job = jobWith({"sofa against wall A"});
    std::mt19937 random(23);
    for (int i = 0; i < 3000; ++i) {
        std::string line;
        for (unsigned k = 0; k < random() % 40; ++k)
            line += static_cast<char>(random() % 256);
        const auto said = readLine(line, job);
        if (!said)
            EXPECT_FALSE(said.problem().what.empty());
        (void)completions(line, job);
    }
    EXPECT_FALSE(readLine(std::string(5000, 'x'), job));
    EXPECT_FALSE(readLine("sofa 99999999999999999999 from wall A", job));
    EXPECT_FALSE(readLine("sofa 300m from wall A", job));
}
