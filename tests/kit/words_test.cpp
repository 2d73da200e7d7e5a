#include "kit/kind.h"

#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>
#include <unistd.h>

using namespace mezzet;
namespace fs = std::filesystem;

namespace {

KitPtr shippedOnce() {
    static const KitPtr kit = *loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    return kit;
}

std::string kindJson(const char* id, const char* name, const char* also = "") {
    return std::string(R"({"id":")") + id + R"(","name":")" + name +
           R"(","family":"seat","also":[)" + also + R"(],"size":[20,20,30]})";
}

} // namespace

TEST(PlainWords, ForgiveCasePunctuationAndPlurals) {
    EXPECT_EQ(plainWord("Wing chairs, Left"), "wing chair left");
    EXPECT_EQ(plainWord("BENCHES"), "bench");
    EXPECT_EQ(plainWord("boxes"), "box");
    EXPECT_EQ(plainWord("glass"), "glass");
    EXPECT_EQ(plainWord("cactus"), "cactus");
    EXPECT_EQ(plainWord("two-seat  sofa"), "two seat sofa");
    EXPECT_EQ(plainWord(" , "), "");
}

TEST(Kit, TypingFindsTheLikeliestFirst) {
    const auto first = [](const char* typed) {
        const auto all = shippedOnce()->matching(typed);
        return all.empty() ? std::string() : all.front()->id;
    };
    EXPECT_EQ(first("sofa"), "sofa");
    EXPECT_EQ(first("couch"), "sofa");
    EXPECT_EQ(first("settee"), "sofa");
    EXPECT_EQ(first("nightst"), "nightstand");
    EXPECT_EQ(first("tv"), "television");
    EXPECT_EQ(first("lamp"), "floor-lamp");
    EXPECT_EQ(first("qqq"), "");
}

TEST(Kit, EveryKindIsFoundByEachOfItsWords) {
    for (const auto& k : shippedOnce()->kinds()) {
        EXPECT_EQ(shippedOnce()->byWord(k->name), k) << k->name;
        for (const auto& w : k->also)
            EXPECT_EQ(shippedOnce()->byWord(w), k) << w;
        EXPECT_EQ(shippedOnce()->byId(k->id), k);
    }
}

TEST(Kit, FootprintsHaveTheSizeOfTheirKind) {
    for (const auto& k : shippedOnce()->kinds()) {
        // What hangs has its outline seen from the front.
        const Size face = k->outlineSize();
        const auto b = bounds(footprintShape(k->footprint, face));
        EXPECT_NEAR(b.size().x, face.width.mm(), 1e-6) << k->id;
        EXPECT_NEAR(b.size().y, face.depth.mm(), 1e-6) << k->id;
        EXPECT_NEAR(norm(b.centre()), 0, 1e-6) << k->id;
    }
}

TEST(Kit, TwoKindsMayNotShareAnIdOrAWord) {
    const auto read = [](const std::string& kinds) {
        return *readKit(R"({"format":"mezzet-kit 1","kinds":[)" + kinds + "]}", "k.json");
    };
    EXPECT_TRUE(Kit::of(read(kindJson("a", "A") + "," + kindJson("b", "B"))));
    EXPECT_FALSE(Kit::of(read(kindJson("a", "A") + "," + kindJson("a", "B"))));
    const auto shared =
        Kit::of(read(kindJson("a", "Perch") + "," + kindJson("b", "B", "\"perches\"")));
    ASSERT_FALSE(shared);
    EXPECT_NE(shared.problem().what.find("perches"), std::string::npos);
}

TEST(Kit, AFolderIsReadAsOneAndNamesTheFileAtFault) {
    const auto folder = fs::temp_directory_path() / ("mezzet-kit-" + std::to_string(::getpid()));
    fs::create_directories(folder);
    EXPECT_FALSE(loadKit(folder)) << "an empty folder is no kit";
    std::ofstream(folder / "a.json")
        << R"({"format":"mezzet-kit 1","unit":"mm","kinds":[)" << kindJson("a", "A") << "]}";
    const auto one = loadKit(folder);
    ASSERT_TRUE(one);
    EXPECT_NEAR((*one)->kinds()[0]->size.width.mm(), 20, 1e-9) << "in the file's unit";
    std::ofstream(folder / "b.json")
        << R"({"format":"mezzet-kit 1","kinds":[)" << kindJson("a", "Again") << "]}";
    const auto two = loadKit(folder);
    ASSERT_FALSE(two);
    EXPECT_EQ(two.problem().file, (folder / "b.json").string());
    fs::remove_all(folder);
}

TEST(Kit, AnLNeedsItsBodyAndItsArm) {
    const auto read = [](const char* shape) {
        return readKit(std::string(R"({"format":"mezzet-kit 1","kinds":[{"id":"a","name":"A",
            "family":"seat","size":[100,60,30],"shape":)") +
                           shape + "}]}",
                       "k.json");
    };
    EXPECT_TRUE(read(R"({"form":"L","body":36,"arm":36,"armOn":"left"})"));
    EXPECT_FALSE(read(R"({"form":"L"})"));
    EXPECT_FALSE(read(R"({"form":"L","body":60,"arm":36})"));
    EXPECT_FALSE(read(R"({"form":"L","body":36,"arm":36,"armOn":"top"})"));
    EXPECT_FALSE(read(R"({"form":"blob"})"));
    EXPECT_FALSE(read(R"({"form":"oval","corner":2})"));
}
