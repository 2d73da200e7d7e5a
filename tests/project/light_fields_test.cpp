// What a job file tells of light: kept as written, refused where it can't be.
#include "jobs.h"

#include <nlohmann/json.hpp>

#include <fstream>

using namespace mezzet;
using namespace mezzet::test;
using json = nlohmann::json;

namespace {

const Project& lit() {
    static const Project job = [] {
        const auto path = testing::TempDir() + "kept.ies";
        std::ofstream(path)
            << "IESNA91\nTILT=NONE\n1 1000 1 3 1 1 2 0 0 0\n1 1 17\n0 45 90\n0\n500 400 0\n";
        return jobWith({"pendant at 5', 5'", "add pendant at 10', 5'", "sofa against wall C",
                        "tilting light at 10', 3'", "aim tilting light at sofa",
                        "ies " + path + " for pendant 2", "lumens 900 for tilting light",
                        "light zone Supper is pendant and pendant 2", "switch Supper by door 1",
                        "dim Supper", "scene Low is Supper 20 %", "reflect walls 0.55",
                        "reflect sofa 0.2", "maintain 0.85"});
    }();
    return job;
}

json written() {
    return json::parse(jobText(lit()));
}
Result<ProjectPtr> reading(const json& j) {
    return readJob(j.dump(), "a.mezzet", library());
}
json& pieceIn(json& j, const char* name) {
    for (auto& p : j["schemes"][0]["pieces"])
        if (p["name"] == name)
            return p;
    throw std::runtime_error("no such piece");
}

} // namespace

TEST(LightFields, AreKeptAsWritten) {
    const auto again = reading(written());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), jobText(lit()));
    const LightPlan& plan = (*again)->scheme().light;
    EXPECT_EQ(plan, lit().scheme().light);
    EXPECT_DOUBLE_EQ(*plan.walls, 0.55);
    EXPECT_FALSE(plan.floor);
    EXPECT_DOUBLE_EQ(plan.maintained, 0.85);
    ASSERT_EQ(plan.zones.size(), 1U);
    EXPECT_TRUE(plan.zones[0].dims);
    EXPECT_DOUBLE_EQ(*(*again)->scheme().byName("Sofa")->reflects, 0.2);
    const Piece* tilting = (*again)->scheme().byName("Tilting light");
    EXPECT_DOUBLE_EQ(*tilting->light->lumens, 900);
    EXPECT_EQ(tilting->light->aim->piece, (*again)->scheme().byName("Sofa")->id);
    ASSERT_TRUE((*again)->photometries);
    EXPECT_EQ((*again)->photometries->size(), 1U);
    EXPECT_DOUBLE_EQ((*again)->photometries->begin()->second.shines->at(45, 0), 400);
}

TEST(LightFields, WhatCantBeIsRefusedAndSaysWhere) {
    const struct {
        void (*damage)(json&);
        const char* says;
    } all[] = {
        {[](json& j) { j["schemes"][0]["light"]["walls"] = 1; }, "no share of light"},
        {[](json& j) { j["schemes"][0]["light"]["ceiling"] = -0.1; }, "no share of light"},
        {[](json& j) { j["schemes"][0]["light"]["floor"] = "dark"; }, "no number"},
        {[](json& j) { j["schemes"][0]["light"]["maintained"] = 0; }, "lamp's first light"},
        {[](json& j) { j["schemes"][0]["light"]["maintained"] = 1.2; }, "lamp's first light"},
        {[](json& j) { j["schemes"][0]["light"]["zones"][0]["lights"] = {0}; }, "no piece"},
        {[](json& j) { j["schemes"][0]["light"]["zones"][0]["lights"] = {"one"}; }, "no piece"},
        {[](json& j) { j["schemes"][0]["light"]["zones"][0].erase("name"); }, "missing"},
        {[](json& j) { j["schemes"][0]["light"]["zones"][0]["dims"] = 3; }, "true nor false"},
        {[](json& j) { j["schemes"][0]["light"]["zones"][0]["switches"] = {4}; }, "not an object"},
        {[](json& j) { j["schemes"][0]["light"]["scenes"][0]["levels"][0]["part"] = 1.5; },
         "from 0 to 1"},
        {[](json& j) { j["schemes"][0]["light"] = json::array(); }, "not an object"},
        {[](json& j) { pieceIn(j, "Sofa")["reflects"] = 1; }, "no share of light"},
        {[](json& j) { pieceIn(j, "Tilting light")["light"]["lumens"] = -5; }, "less than nothing"},
        {[](json& j) { pieceIn(j, "Tilting light")["light"]["watts"] = "many"; }, "no number"},
        {[](json& j) { pieceIn(j, "Tilting light")["light"]["file"] = 7; }, "not a text"},
        {[](json& j) { j["photometries"][0]["text"] = "IESNA91\nTILT=NONE\n1 1000\n"; },
         "ends before"},
        {[](json& j) { j["photometries"][0].erase("key"); }, "missing"},
        {[](json& j) { j["photometries"] = "none"; }, "not a list"},
    };
    for (const auto& one : all) {
        json j = written();
        one.damage(j);
        const auto read = reading(j);
        ASSERT_FALSE(read) << one.says;
        EXPECT_NE(read.problem().text().find(one.says), std::string::npos) << read.problem().text();
    }
}

TEST(LightFields, AnyFigureChangedIsReadOrRefusedNeverHalf) {
    const auto text = jobText(lit());
    int refused = 0;
    for (std::size_t at = text.find("\"light\""); at < text.size(); at += 7) {
        std::string changed = text;
        changed[at] = changed[at] == '9' ? '-' : '9';
        const auto read = readJob(changed, "a.mezzet", library());
        refused += read ? 0 : 1;
        if (read)
            EXPECT_TRUE(readJob(jobText(**read), "a.mezzet", library()));
    }
    EXPECT_GT(refused, 20);
}

// What is gone is in no zone, and nothing is aimed at it.
TEST(LightFields, FollowWhatIsRemoved) {
    Project job = lit();
    for (const char* line : {"remove sofa", "remove pendant 2"}) {
        const auto said = readLine(line, job);
        ASSERT_TRUE(said) << said.problem().text();
        job = *apply(job, said->edit)->project;
    }
    EXPECT_EQ(job.scheme().light.zones[0].lights.size(), 1U);
    EXPECT_FALSE(job.scheme().byName("Tilting light")->light->aim);
    EXPECT_TRUE(reading(json::parse(jobText(job))));
}

TEST(Libraries, HaveADistributionForEveryKindOfLight) {
    for (const KindPtr& k : library().kit->kinds())
        if (k->light)
            EXPECT_EQ(library().shines->count(k->light->shine), 1U) << k->id;
    ASSERT_TRUE(library().tasks);
    for (const TaskLevel& t : *library().tasks) {
        EXPECT_LE(t.least, t.most) << t.of;
        EXPECT_FALSE(t.source.empty()) << t.of;
        EXPECT_TRUE(t.of.starts_with("role: ") || library().kit->byId(t.of)) << t.of;
    }
}

TEST(TaskLevels, WhatCantBeIsRefusedWithItsEntry) {
    for (const auto& [text, says] :
         {std::pair{"", "no list"}, std::pair{"{\"tasks\": 3}", "no list"},
          std::pair{"{\"tasks\": [{}]}", "task 1"},
          std::pair{
              "{\"tasks\": [{\"of\": \"desk\", \"task\": \"x\", \"at\": \"top\", \"least\": 9, "
              "\"most\": 4}]}",
              "task 1"},
          std::pair{
              "{\"tasks\": [{\"of\": \"desk\", \"task\": \"x\", \"at\": \"moon\", \"least\": 1, "
              "\"most\": 4}]}",
              "task 1"}}) {
        const auto read = readTaskLevels(text, "tasks.json");
        ASSERT_FALSE(read) << text;
        EXPECT_NE(read.problem().what.find(says), std::string::npos) << text;
    }
}
