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

// A mark of -2 rules a material out: such a one comes after all that are not, whatever speaks for
// it.
TEST(RugMaterials, WhatIsRuledOutComesLast) {
    const auto book = *loadRugBook(shippedFile());
    for (const auto& need : book->needs) {
        bool out = false;
        for (const auto& r : rankMaterials(*book, {need.id})) {
            const auto mark = r.material->marks.find(need.id);
            const bool ruledOut = mark != r.material->marks.end() && mark->second.mark <= -2;
            EXPECT_FALSE(out && !ruledOut) << need.id << ": " << r.material->id;
            out = out || ruledOut;
        }
    }
    // One that two needs speak for, and a third rules out.
    auto own = *book;
    ASSERT_GE(own.needs.size(), 3U);
    auto& first = own.materials.front();
    first.marks[own.needs[0].id].mark = 2;
    first.marks[own.needs[1].id].mark = 2;
    first.marks[own.needs[2].id].mark = -2;
    const auto ranked = rankMaterials(own, {own.needs[0].id, own.needs[1].id, own.needs[2].id});
    const auto at = std::find_if(ranked.begin(), ranked.end(), [&](const RankedMaterial& r) {
        return r.material->id == first.id;
    });
    ASSERT_NE(at, ranked.end());
    for (auto it = at + 1; it != ranked.end(); ++it) {
        bool ruledOut = false;
        for (int k = 0; k < 3; ++k)
            ruledOut = ruledOut ||
                       it->material->marks.at(own.needs[static_cast<std::size_t>(k)].id).mark <= -2;
        EXPECT_TRUE(ruledOut) << it->material->id << " is not ruled out, and comes after";
    }
}
