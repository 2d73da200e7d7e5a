#include "edit/drag.h"
#include "hung.h"
#include "jobs.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <random>

using namespace mezzet;
using namespace mezzet::test;

TEST(Line, ForgivesCasePluralsAndTheSignBetweenFigures) {
    for (const char* line :
         {"SOFA 84x36 Against Wall a", "sofas 84 by 36 against the wall A",
          "couch 84 × 36 × 34 against wall A", "add a settee 84 x 36, against wall A",
          "place sofa 7' x 3' against wall A"}) {
        const auto job = jobWith({line});
        ASSERT_EQ(job.scheme().pieces.size(), 1U) << line;
        EXPECT_NEAR(job.scheme().pieces[0].size.width.inInches(), 84, 1e-9) << line;
        EXPECT_NEAR(poseOf(job, job.scheme().pieces[0].name.c_str()).at.y / 25.4, 18, 1e-6) << line;
    }
}

TEST(Line, AFaultPointsAtTheWordAndOffersTheNearest) {
    const auto job = jobWith({"sofa against wall A, centred on wall A"});
    struct Case {
        const char* line;
        int column;
        const char* says;
    };
    const Case cases[] = {
        {"soffa against wall A", 1, "soffa"},      {"coffee table 16 from soffa", 22, "sofa"},
        {"stool against wall Q", 20, "no wall q"}, {"stool centred on window 7", 18, "no window 7"},
        {"stool agianst wall A", 7, "against"},    {"move table", 6, "table"},
        {"stool 16 fromm sofa", 10, "from"},       {"turn sofa to face soffa", 19, "sofa"},
        {"school of fish", 8, "school"},           {"scheme 4", 8, "no scheme"},
        {"units furlongs", 7, "furlongs"},         {"stool 6 above sofa", 9, "wall"},
        {"size sofa 0 x 3", 11, "size"},           {"stool called sofa", 14, "already"}};
    for (const auto& c : cases) {
        const auto p = refusal(job, c.line);
        EXPECT_EQ(p.column, c.column) << c.line << " -> " << p.text();
        EXPECT_NE(foldCase(p.sentence()).find(c.says), std::string::npos)
            << c.line << " -> " << p.text();
    }
}

TEST(Line, SaysTwoCouldBeMeant) {
    const auto job =
        jobWith({"wing chair called \"Wing chair, left\" at 3', 3'",
                 "wing chair called \"Wing chair, right\" at 9', 3'", "rug at 6', 3'"});
    EXPECT_NE(refusal(job, "move wing chair 6 left").what.find("could be"), std::string::npos);
    const auto moved =
        jobWith({"wing chair called \"Wing chair, left\" at 3', 3'", "rug 60 x 60 at 10', 6'",
                 "move wing chair left 6 in front of rug edge"});
    EXPECT_NEAR(moved.scheme().pieces[0].ties.at(0).distance.inInches(), 6, 1e-9);
}

TEST(Line, DoesEveryVerb) {
    auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A", "size sofa 78 x 36",
                        "rename sofa to long seat", "copy long seat as short seat",
                        "turn short seat 30", "lock long seat", "unlock long seat",
                        "free short seat", "stool", "remove stool", "scheme new called Second",
                        "remove short seat", "scheme 1", "school viewer and air",
                        "rule seat-to-table close and low", "band chair-pull-out at least 30",
                        "units cm", "title Harbour flat", "client A friend"});
    EXPECT_NEAR(job.scheme().byName("long seat")->size.width.inInches(), 78, 1e-9);
    EXPECT_NEAR(poseOf(job, "short seat").turn.inDegrees(), 30, 1e-6);
    EXPECT_EQ(job.schemes.size(), 2U);
    EXPECT_EQ(job.schemes[1]->pieces.size(), 1U);
    EXPECT_EQ(job.scheme().pieces.size(), 2U) << "schemes share the room, never the pieces";
    EXPECT_EQ(job.judgement.school, "viewer-and-air");
    EXPECT_EQ(job.judgement.schoolOf(*job.library.book->byId("seat-to-table")), "low-and-close");
    EXPECT_NEAR(*job.judgement.bandOf(*job.library.book->byId("chair-pull-out")).low, 762, 1e-9);
    EXPECT_EQ(job.notation.units, Units::centimetres);
    EXPECT_EQ(job.title, "Harbour flat");
}

TEST(Line, ABareNumberTakesTheJobsUnit) {
    const auto job = jobWith({"units mm", "stool at 1000, 2000"});
    EXPECT_NEAR(poseOf(job, "Stool").at.x, 1000, 1e-9);
}

TEST(Line, PreviewTellsWhatEnterDoesAndChangesNothing) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 8 from sofa, centred on sofa"});
    const auto before = jobText(job);
    const auto said = readLine("coffee table 16 from sofa", job);
    ASSERT_TRUE(said);
    EXPECT_EQ(said->preview, "Moves Coffee table 8\" toward wall C");
    EXPECT_EQ(jobText(job), before);
}

TEST(Line, CompletesVerbsPiecesKindsAndWalls) {
    const auto job = jobWith({"sofa against wall A, centred on wall A"});
    const auto has = [&](const char* typed, const char* whole) {
        const auto all = completions(typed, job);
        return std::any_of(all.begin(), all.end(),
                           [&](const Completion& c) { return c.text == whole; });
    };
    EXPECT_TRUE(has("rem", "remove"));
    EXPECT_TRUE(has("arm", "armchair"));
    EXPECT_TRUE(has("coffee table 16 from so", "coffee table 16 from Sofa"));
    EXPECT_TRUE(has("stool against wa", "stool against wall A"));
    EXPECT_TRUE(has("stool cen", "stool centred on"));
    const auto more = completions("sofa against wall A", job);
    EXPECT_TRUE(more.empty()) << more.front().text;
}

TEST(Line, AScriptIsAllOrNothingAndNamesItsLine) {
    const auto job = jobWith({});
    const auto r =
        runScript("# a room\nsofa against wall A\n\nstool agianst wall B\n", "room.lines", job);
    ASSERT_FALSE(r);
    EXPECT_EQ(r.problem().line, 4);
    EXPECT_EQ(r.problem().column, 7);
    EXPECT_EQ(r.problem().file, "room.lines");
}

TEST(Line, AnyGarbageIsRefusedNeverCrashes) {
    const auto job =
        jobWith({"sofa against wall A, centred on wall A", "coffee table 16 from sofa"});
    const std::string words[] = {
        "sofa", "coffee table", "16",      "from",   "against", "wall",         "A",  "corner",
        "AB",   "centred on",   ",",       "turned", "facing",  "8' 2\"",       "x",  "under",
        "at",   "move",         "turn",    "called", "½",       "\xE2\x80\x9C", "in", "size",
        "-3",   "window 1",     "between", "and"};
    std::mt19937 random(11);
    for (int i = 0; i < 4000; ++i) {
        std::string line;
        for (unsigned k = 0; k < 1 + random() % 8; ++k)
            line += words[random() % std::size(words)] + " ";
        const auto said = readLine(line, job);
        if (said)
            EXPECT_TRUE(apply(job, said->edit)) << line;
        else
            EXPECT_FALSE(said.problem().what.empty()) << line;
        (void)completions(line, job);
    }
}

namespace {
Drag dragOf(const Project& job, const char* name, double dx, double dy,
            DragTies mode = DragTies::revalue) {
    return drag(job, **sceneOf(job), {job.scheme().byName(name)->id}, Vec2{dx * 25.4, dy * 25.4},
                mode);
}
} // namespace

TEST(Drag, RevaluesTheTiesItMovesAlongAndKeepsTheRest) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 16 from sofa, centred on sofa"});
    const auto d = dragOf(job, "Coffee table", 0, 3);
    ASSERT_EQ(d.changes.size(), 1U);
    EXPECT_EQ(d.changes[0].before, "16\" from Sofa");
    EXPECT_EQ(d.changes[0].after, "19\" from Sofa");
    const auto after = apply(job, d.edit);
    EXPECT_NEAR(poseOf(*after->project, "Coffee table").at.y / 25.4, 36 + 19 + 13, 1e-6);
    const auto aside = dragOf(job, "Coffee table", 5, 0);
    EXPECT_EQ(aside.changes.at(0).after, "centred on Sofa, 5\" right");
}

TEST(Drag, LetsGoOfATiePulledPastSense) {
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A"});
    const auto d = dragOf(job, "Sofa", 0, 40);
    EXPECT_TRUE(d.changes.at(0).after.empty());
    const auto after = apply(job, d.edit);
    EXPECT_NEAR(poseOf(*after->project, "Sofa").at.y / 25.4, 58, 1e-6);
    EXPECT_NEAR(poseOf(*after->project, "Sofa").turn.inDegrees(), 0, 1e-6)
        << "it still stands square";
    const auto into = apply(job, dragOf(job, "Sofa", 0, -10).edit);
    EXPECT_NEAR(poseOf(*into->project, "Sofa").at.y / 25.4, 18, 1e-6) << "it stops at the wall";
}

TEST(Drag, AKeyKeepsEveryTieAndAnotherDropsThem) {
    const auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A", "stool 5 from wall D"});
    const auto kept = apply(job, dragOf(job, "Sofa", 10, 10, DragTies::keep).edit);
    EXPECT_NEAR(poseOf(*kept->project, "Sofa").at.x / 25.4, 120, 1e-6);
    const auto free = apply(job, dragOf(job, "Sofa", 10, 10, DragTies::drop).edit);
    EXPECT_NEAR(poseOf(*free->project, "Sofa").at.x / 25.4, 130, 1e-6);
    EXPECT_NEAR(poseOf(*free->project, "Sofa").at.y / 25.4, 28, 1e-6);
}

TEST(Turn, AQuarterTurnKeepsTheDistanceFromTheWall) {
    const auto job =
        jobWith({"sofa 84 x 36 against wall A, centred on wall A", "turn sofa a quarter"});
    const auto p = poseOf(job, "Sofa");
    EXPECT_NEAR(p.turn.inDegrees(), 90, 1e-6);
    EXPECT_NEAR(p.at.y / 25.4, 42, 1e-6);
}

TEST(Sizes, AreOfTheFigureThatIsNamed) {
    const auto of = [](const char* line) {
        const auto job = jobWith({line});
        return job.scheme().pieces.front();
    };
    EXPECT_NEAR(of("sofa 30 high").size.height.inInches(), 30, 1e-9);
    EXPECT_NEAR(of("sofa 30 high").size.width.inInches(), 84, 1e-9) << "as the kit has it";
    EXPECT_NEAR(of("desk 28 deep").size.depth.inInches(), 28, 1e-9);
    EXPECT_NEAR(of("sofa 90 long").size.width.inInches(), 90, 1e-9);
    EXPECT_NEAR(of("mirror 30 high on wall B").size.height.inInches(), 30, 1e-9);
}

TEST(Sizes, ARoundOneIsRoundOrRefused) {
    const auto mirror =
        mezzet::test::hungIn(jobWith({"mirror 36 round on wall B"}).scheme()).front();
    EXPECT_EQ(mirror.footprint.form, FootprintForm::oval);
    EXPECT_NEAR(mirror.size.width.inInches(), 36, 1e-9);
    EXPECT_NEAR(mirror.size.height.inInches(), 36, 1e-9);
    const auto table = jobWith({"coffee table 36 round at 6', 6'"}).scheme().pieces.front();
    EXPECT_EQ(table.footprint.form, FootprintForm::oval);
    EXPECT_NE(refusal(jobWith({}), "sofa 60 round").what.find("not round"), std::string::npos);
}

TEST(Targets, TheTenthOutletIsNamedLikeTheFirst) {
    std::string notes = "ceiling 8'\nwall A 20'\n";
    for (int i = 1; i <= 12; ++i)
        notes += " outlet " + std::to_string(i * 15) + " from left, 14 up\n";
    notes += "wall B 12'\nwall C 20'\nwall D 12'\n";
    const auto job = jobWith({"picture 10 x 10 on wall A, 10 above outlet 10"}, notes.c_str());
    EXPECT_NEAR(poseOf(job, "Picture").at.x / 25.4, 150, 1e-6);
    EXPECT_FALSE(refusal(job, "picture 10 x 10 on wall A, 10 above outlet 13").what.empty());
}

TEST(Names, AreFoundWhateverTheirAccentsAndCase) {
    const auto job = jobWith({"bookcase called Étagère at 6', 6'"});
    EXPECT_NE(job.scheme().byName("étagère"), nullptr);
    EXPECT_NE(job.scheme().byName("etagere"), nullptr);
    EXPECT_TRUE(refusal(job, "move étagère 6 left").what.empty());
}

TEST(Seats, ArePartOfTheirSofa) {
    const auto job = jobWith({"sofa 84 x 36 x 34 at 6', 6'"});
    EXPECT_NE(refusal(job, "sofa seat 42").what.find("34"), std::string::npos);
    EXPECT_TRUE(refusal(job, "sofa seat 16").what.empty());
}

TEST(Names, AreNoWordsOfTheLine) {
    const auto job = jobWith({});
    for (const char* name : {"from", "left", "under", "between", "move", "it", "wall A"})
        EXPECT_FALSE(refusal(job, fmt::format("sofa called {}, at 10', 8'", name)).what.empty())
            << name;
    // Said behind a figure only, it is a name as well.
    EXPECT_TRUE(refusal(job, "picture 16 x 20 on wall A called High").what.empty());
}
