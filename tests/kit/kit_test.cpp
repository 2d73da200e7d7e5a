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
