#include "kit/kind.h"

#include <gtest/gtest.h>

#include <set>

using namespace mezzet;

namespace {
Problem faultOf(const std::string& kinds) {
    const auto r = readKit(R"({"format":"mezzet-kit 1","kinds":[)" + kinds + "]}", "my-kit.json");
    return r ? Problem{} : r.problem();
}
} // namespace

TEST(Kit, HoldsAtLeastFortyKindsOfEveryFamily) {
    const auto kit = loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    ASSERT_TRUE(kit) << kit.problem().text();
    EXPECT_GE((*kit)->kinds().size(), 40U);
    std::set<Family> families;
    for (const auto& k : (*kit)->kinds()) {
        families.insert(k->family);
        EXPECT_GT(k->size.width, Length{}) << k->id;
        if (k->isSeat())
            EXPECT_TRUE(k->heights.seat) << k->id;
    }
    EXPECT_EQ(families.size(), static_cast<std::size_t>(familyCount));
}

TEST(Kit, FindsAKindByAnyWordForIt) {
    const auto kit = *loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    for (const char* w : {"sofa", "Couch", "settee", "couches", "SOFAS"})
        EXPECT_EQ(kit->byWord(w)->id, "sofa") << w;
    EXPECT_EQ(kit->matching("arm").front()->id, "armchair");
    EXPECT_FALSE(kit->byWord("spaceship"));
}

TEST(Kit, ABadFileIsRefusedWithFileEntryAndReason) {
    const auto noSize = faultOf(R"({"id":"a","name":"A","family":"seat"})");
    EXPECT_EQ(noSize.file, "my-kit.json");
    EXPECT_NE(noSize.what.find("entry 1 “a”"), std::string::npos) << noSize.text();
    const char* bad[] = {
        R"({"id":"a","name":"A","family":"boat","size":[1,1,1]})",
        R"({"id":"a","name":"A","family":"seat","size":[1,-1,1]})",
        R"({"id":"a","name":"A","family":"seat","size":[1,1]})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"heights":{"seat":20}})",
        R"({"id":"a","name":"A","family":"seat","size":[10,12,10],"shape":{"form":"round"}})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"shape":{"form":"L","body":20,"arm":3}})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"colour":"red"})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"legs":[]})",
        // An L's arm as wide as the piece leaves nothing of its body.
        R"({"id":"a","name":"A","family":"seat","size":[100,60,30],"shape":{"form":"L","body":30,"arm":100}})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"legs":[[2,2],[11,2]]})",
        R"({"id":"a","name":"A","family":"seat","size":[10,10,10],"legs":[[2]]})",
        R"(7)"};
    for (const char* b : bad)
        EXPECT_FALSE(faultOf(b).what.empty()) << b;
    const auto broken = readKit("{\n \"format\": oops", "broken.json");
    EXPECT_EQ(broken.problem().line, 2);
    EXPECT_FALSE(readKit("{}", "x.json"));
}

TEST(Kit, CoversLivingDiningSleepingWorkingEntryAndChildrensRooms) {
    const auto kit = *loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    EXPECT_GE(kit->kinds().size(), 120U);
    for (const char* word : {"sofa",          "corner sofa left", "sofa bed",
                             "recliner",      "dining table",     "drop-leaf table",
                             "sideboard",     "king bed",         "bunk bed",
                             "crib",          "wardrobe",         "desk",
                             "office chair",  "filing cabinet",   "console",
                             "shoe cabinet",  "coat stand",       "umbrella stand",
                             "toy chest",     "child's table",    "high chair",
                             "television",    "table lamp",       "piano",
                             "kitchen island"})
        EXPECT_TRUE(kit->byWord(word)) << word;
}

TEST(Kit, WhatOpensSaysWhatAndHasRoomForIt) {
    const auto kit = *loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    for (const auto& k : kit->kinds()) {
        if (k->opensSeldom)
            EXPECT_FALSE(k->opens.empty()) << k->id;
        if (!k->opens.empty())
            EXPECT_TRUE(k->use.front > Length{} || k->use.back > Length{} ||
                        k->use.left > Length{} || k->use.right > Length{})
                << k->id;
        // A bed let down, a child up high, a tall thing: each is cautioned about (common practice).
        if (k->id == "wall-bed" || k->id == "bunk-bed" || k->id == "crib" ||
            k->id == "floor-mirror")
            EXPECT_FALSE(k->caution.empty()) << k->id;
    }
}

TEST(Kit, ALightSaysHowItShinesOrIsRefused) {
    const auto lamp = [](const std::string& light) {
        return R"({"id": "glow", "name": "Glow", "family": "light", "on": "ceiling", "size": [6, 6, 4], "light": )" +
               light + "}";
    };
    const auto all = readKit(R"({"format":"mezzet-kit 1","kinds":[)" +
                                 lamp(R"({"lumens": 800, "watts": 9, "shine": "flood", "lamp": 1,
                                          "cutOut": 5, "general": true, "kg": 2})") +
                                 "]}",
                             "my-kit.json");
    ASSERT_TRUE(all) << all.problem().text();
    const Kind& k = all->front();
    ASSERT_TRUE(k.light);
    EXPECT_DOUBLE_EQ(k.light->lumens, 800);
    EXPECT_EQ(k.light->shine, "flood");
    EXPECT_EQ(k.light->lamp, Length::inches(1));
    EXPECT_EQ(k.light->cutOut, Length::inches(5));
    EXPECT_TRUE(k.light->general);
    EXPECT_FALSE(k.light->hung);
    EXPECT_DOUBLE_EQ(k.light->kilograms, 2);
    // Where it isn't said, its lamp is in its middle.
    const auto bare = readKit(R"({"format":"mezzet-kit 1","kinds":[)" +
                                  lamp(R"({"lumens": 1, "shine": "globe"})") + "]}",
                              "my-kit.json");
    ASSERT_TRUE(bare) << bare.problem().text();
    EXPECT_EQ(bare->front().light->lamp, Length::inches(2));
    for (const auto& [light, says] :
         {std::pair{"7", "not a group"}, std::pair{R"({"watts": 9})", "lumens"},
          std::pair{R"({"lumens": 800})", "shines"},
          std::pair{R"({"lumens": -8, "shine": "a"})", "lumens"},
          std::pair{R"({"lumens": 1e9, "shine": "a"})", "lumens"},
          std::pair{R"({"lumens": 8, "shine": 4})", "shine"},
          std::pair{R"({"lumens": 8, "shine": "a", "hung": 1})", "hung"},
          std::pair{R"({"lumens": 8, "shine": "a", "cutOut": -2})", "cutOut"},
          std::pair{R"({"lumens": 8, "shine": "a", "colour": "warm"})", "colour"}}) {
        const auto fault = faultOf(lamp(light));
        EXPECT_NE(fault.what.find(says), std::string::npos) << light << ": " << fault.text();
    }
}
