// The rug book: what ships can be read, what is spoilt is told with its place.
#include "rugs/rug_book.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <fstream>

using namespace mezzet;
using nlohmann::json;

namespace {

std::filesystem::path shippedFile() {
    return std::filesystem::path(MEZZET_TEST_DATA) / "rugs" / "rugs.json";
}

json shipped() {
    std::ifstream in(shippedFile());
    return json::parse(in);
}

} // namespace

TEST(RugBook, ThatShipsIsWhole) {
    const auto book = loadRugBook(shippedFile());
    ASSERT_TRUE(book) << book.problem().text();
    EXPECT_EQ((*book)->rolls.size(), 5U);
    for (const char* id : {"binding", "serging", "hand-finished", "cotton-overlap", "leather-tape"})
        EXPECT_NE((*book)->edgeById(id), nullptr) << id;
    // Every material answers every need.
    for (const auto& m : (*book)->materials)
        for (const auto& n : (*book)->needs)
            EXPECT_EQ(m.marks.count(n.id), 1U) << m.id << ", " << n.id;
}

TEST(RugBook, EdgesCostAsTheTradeHasThem) { // common practice, as ratios to machine binding
    const auto book = *loadRugBook(shippedFile());
    const double binding = book->edgeById("binding")->price;
    const auto ratio = [&](const char* id) { return book->edgeById(id)->price / binding; };
    EXPECT_GE(ratio("serging"), 1.1);
    EXPECT_LE(ratio("serging"), 1.35);
    EXPECT_NEAR(ratio("hand-finished"), 2, 0.2);
    EXPECT_NEAR(ratio("cotton-overlap"), 2, 0.2);
    for (const char* tape : {"cotton-tape", "linen-tape", "leather-tape"}) {
        EXPECT_GE(ratio(tape), 2);
        EXPECT_LE(ratio(tape), 3.4);
    }
    EXPECT_GE(ratio("leather-tape"), ratio("linen-tape"));
}

TEST(RugBook, TellsWhatIsSpoiltAndWhere) {
    const auto spoilt = [](const std::function<void(json&)>& spoil) {
        json j = shipped();
        spoil(j);
        const auto book = readRugBook(j.dump(), "own.json");
        EXPECT_FALSE(book);
        return book ? std::string() : book.problem().text();
    };
    EXPECT_NE(spoilt([](json& j) { j["edges"][1]["a metre"] = "dear"; }).find("edges, entry 2"),
              std::string::npos);
    EXPECT_NE(spoilt([](json& j) { j["edges"][1]["a metre"] = -3; }).find("entry 2"),
              std::string::npos);
    EXPECT_NE(spoilt([](json& j) {
                  j["materials"][2]["marks"]["snow"] = {1, "x"};
              }).find("snow"),
              std::string::npos);
    EXPECT_NE(spoilt([](json& j) {
                  j["materials"][0]["marks"]["sun"] = {7, "x"};
              }).find("sun"),
              std::string::npos);
    EXPECT_NE(spoilt([](json& j) { j["edges"][1]["id"] = "binding"; }).find("twice"),
              std::string::npos);
    EXPECT_NE(spoilt([](json& j) { j["rolls mm"] = {1}; }).find("roll"), std::string::npos);
    EXPECT_NE(spoilt([](json& j) {
                  j["sizes"]["feet"] = {{1, "two"}};
              }).find("size"),
              std::string::npos);
    EXPECT_FALSE(readRugBook("{", "own.json"));
    EXPECT_FALSE(readRugBook("[]", "own.json"));
}

TEST(RugBook, AStudiosOwnIsPutOverTheShippedOne) {
    const auto book = *loadRugBook(shippedFile());
    const auto own = readRugBook(
        R"({"format": "mezzet-rugs 1", "edges": [{"id": "binding", "name": "our binding", "a metre": 4},
            {"id": "rope", "name": "rope edge", "a metre": 20}]})",
        "own.json", book.get());
    ASSERT_TRUE(own) << own.problem().text();
    EXPECT_EQ((*own)->edgeById("binding")->price, 4);
    EXPECT_NE((*own)->edgeById("rope"), nullptr);
    EXPECT_EQ((*own)->edges.size(), book->edges.size() + 1);
    EXPECT_EQ((*own)->materials.size(), book->materials.size());
}

TEST(RugMaterials, AreRankedByWhatTheHouseholdNeeds) {
    const auto book = *loadRugBook(shippedFile());
    // Loops are pulled by claws: nothing with them comes before what they don't rule out.
    const auto clawed = rankMaterials(*book, {"claws"});
    EXPECT_EQ(clawed.back().material->id, "wool-loop");
    EXPECT_FALSE(clawed.back().against.empty());
    const auto outside = rankMaterials(*book, {"wet", "sun"});
    EXPECT_EQ(outside.front().material->id, "polypropylene-flat");
    EXPECT_EQ(outside.front().speaks.size(), 2U);
    // With nothing asked the cheapest is first.
    const auto any = rankMaterials(*book, {});
    EXPECT_EQ(any.front().material->id, "polypropylene-flat");
}
