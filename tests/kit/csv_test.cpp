#include "kit/csv.h"
#include "project/project.h"

#include <gtest/gtest.h>

#include <array>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <random>

using namespace mezzet;

namespace {

const KitPtr& shipped() {
    static const KitPtr kit = *loadKit(std::string(MEZZET_TEST_DATA) + "/kit");
    return kit;
}

Result<std::vector<Kind>> kinds(const std::string& text) {
    return kindsFromCsv(text, "own.csv", *shipped());
}

std::filesystem::path emptyFolder() {
    auto name = (std::filesystem::temp_directory_path() / "mezzet-studio-XXXXXX").string();
    return ::mkdtemp(name.data());
}

} // namespace

TEST(Csv, CellsWithCommasQuotesAndLinesAreRead) { // RFC 4180
    const auto r = readCsv("a,b\r\n\"one, two\",\"say \"\"hi\"\"\"\n\"two\nlines\",x\n", "t.csv");
    ASSERT_TRUE(r);
    ASSERT_EQ(r->size(), 3U);
    EXPECT_EQ((*r)[1][0], "one, two");
    EXPECT_EQ((*r)[1][1], "say \"hi\"");
    EXPECT_EQ((*r)[2][0], "two\nlines");
    EXPECT_FALSE(readCsv("a\n\"never closed", "t.csv"));
    EXPECT_FALSE(readCsv("a\n\"x\"y\n", "t.csv"));
    EXPECT_FALSE(readCsv("a\nx\"y\n", "t.csv"));
}

TEST(Csv, TheWholeKitGoesOutAndComesBack) {
    for (const bool metric : {false, true}) {
        const auto text = kindsAsCsv(shipped()->kinds(), metric);
        // Own ids, since the shipped ones are taken.
        const auto back = kinds(text);
        ASSERT_TRUE(back) << back.problem().text();
        ASSERT_EQ(back->size(), shipped()->kinds().size());
        for (std::size_t i = 0; i < back->size(); ++i) {
            const Kind& was = *shipped()->kinds()[i];
            EXPECT_EQ((*back)[i].id, was.id);
            EXPECT_NEAR((*back)[i].size.width.mm(), was.size.width.mm(), 0.01) << was.id;
            EXPECT_NEAR((*back)[i].size.height.mm(), was.size.height.mm(), 0.01) << was.id;
            EXPECT_EQ((*back)[i].family, was.family);
            EXPECT_EQ((*back)[i].role, was.role);
            EXPECT_EQ((*back)[i].bareBack, was.bareBack) << was.id;
        }
    }
}

TEST(Csv, AKindTakesAfterTheOneItsNameEndsWith) {
    const auto r =
        kinds("name,width_in,depth_in,height_in,seat_in\nHeron sofa,90,38,33,17.5\nSmall "
              "Heron armchair,28,30,31,\n");
    ASSERT_TRUE(r) << r.problem().text();
    EXPECT_EQ((*r)[0].role, Role::sofa);
    EXPECT_EQ((*r)[0].id, "heron-sofa");
    EXPECT_NEAR((*r)[0].heights.seat->inInches(), 17.5, 1e-9);
    EXPECT_NEAR((*r)[0].heights.back->inInches(), 33, 1e-9) << "its back goes to its height";
    EXPECT_EQ((*r)[1].role, Role::armchair);
    const auto corner = kinds("name,width_cm,depth_cm,height_cm\nHeron corner sofa,300,180,84\n");
    ASSERT_TRUE(corner);
    EXPECT_EQ((*corner)[0].footprint.form, FootprintForm::ell);
    EXPECT_LT((*corner)[0].footprint.bodyDepth, (*corner)[0].size.depth);
}

TEST(Csv, WhatCantBeIsRefusedWithItsLine) {
    const char* head = "name,width_in,depth_in,height_in\n";
    const std::pair<std::string, int> bad[] = {
        {"", 0},
        {"name,width_in,depth_in\nA sofa,1,2\n", 1},
        {"name,colour\nx,y\n", 1},
        {head, 1},
        {std::string(head) + "Fine sofa,80,36,34\nBad sofa,wide,36,34\n", 3},
        {std::string(head) + "Bad sofa,-80,36,34\n", 2},
        {std::string(head) + "Bad sofa,0,36,34\n", 2},
        {std::string(head) + "Bad sofa,9999999,36,34\n", 2},
        {std::string(head) + ",80,36,34\n", 2},
        {std::string(head) + "Gizmo,80,36,34\n", 2},
        {"name,width_in,depth_in,height_in,family\nGizmo,80,36,34,boat\n", 2},
        {"name,width_in,depth_in,height_in,shape\nBig round table,80,36,30,round\n", 2},
        {"name,width_in,depth_in,height_in,seat_in\nLow sofa,80,36,12,18\n", 2}};
    for (const auto& [text, line] : bad) {
        const auto r = kinds(text);
        ASSERT_FALSE(r) << text;
        EXPECT_EQ(r.problem().file, "own.csv");
        if (line > 0)
            EXPECT_EQ(r.problem().line, line) << text;
        EXPECT_FALSE(r.problem().what.empty());
    }
}

TEST(Csv, AnyGarbageIsRefusedOrReadNeverCrashes) {
    std::mt19937 random(1);
    const std::string good = kindsAsCsv(shipped()->kinds(), false);
    for (int i = 0; i < 300; ++i) {
        auto text =
            good.substr(0, std::uniform_int_distribution<std::size_t>(0, good.size())(random));
        for (int k = 0; k < 6 && !text.empty(); ++k)
            text[std::uniform_int_distribution<std::size_t>(0, text.size() - 1)(random)] =
                static_cast<char>(std::uniform_int_distribution<int>(1, 255)(random));
        static_cast<void>(kinds(text));
    }
}

TEST(Studio, ItsOwnRuleBookTakesThePlaceOfEntries) {
    const auto folder = emptyFolder();
    const auto write = [&](const std::string& text) {
        std::ofstream(folder / "rules.json") << text;
    };
    write(R"({"format":"mezzet-rules 1","unit":"in",
      "schools":[{"id":"ours","title":"Ours","says":"Room to dance."}],
      "rules":[{"id":"seat-to-table","bands":{"ours":[20,24]},"source":"our studio"},
               {"id":"art-shape","settings":{"sides":8}}],
      "habits":[{"id":"beside-on-wall","length":5,"between":[1,24],"says":"ours",
                 "source":"our studio"}]})");
    const auto shipped = *loadLibrary(MEZZET_TEST_DATA);
    const auto own = withStudio(shipped, folder);
    ASSERT_TRUE(own) << own.problem().text();
    const Rule& rule = *own->book->byId("seat-to-table");
    EXPECT_NEAR(*rule.bands.at("ours").low, 20 * 25.4, 1e-9);
    EXPECT_EQ(rule.bands.count("low-and-close"), 0U) << "its bands are the studio's";
    EXPECT_EQ(rule.title, shipped.book->byId("seat-to-table")->title) << "the rest stays";
    EXPECT_EQ(rule.source, "our studio");
    EXPECT_NEAR(own->book->byId("art-shape")->setting("sides").inInches(), 8, 1e-9);
    EXPECT_NEAR(own->book->byId("art-shape")->setting("over").inInches(),
                shipped.book->byId("art-shape")->setting("over").inInches(), 1e-9);
    EXPECT_NEAR(own->book->habit("beside-on-wall").inInches(), 5, 1e-9);
    EXPECT_NE(own->book->schoolById("ours"), nullptr);
    EXPECT_EQ(own->book->rules.size(), shipped.book->rules.size());
    EXPECT_FALSE(own->book->shelving.empty());
    // What the program could not go by is refused, and says where.
    for (const char* bad :
         {R"({"format":"mezzet-rules 1","rules":[{"id":"nobody-measures","band":[1,2]}]})",
          R"({"format":"mezzet-rules 1","rules":[{"id":"seat-to-table","settings":{"zz":1}}]})",
          R"({"format":"mezzet-rules 1","rules":[{"id":"seat-to-table","quantity":"ratio"}]})",
          R"({"format":"mezzet-rules 1","rules":[{"id":"seat-to-table"},{"id":"seat-to-table"}]})",
          R"({"format":"mezzet-rules 1","rules":[{"id":"seat-to-table","band":[9,2]}]})",
          R"({"format":"something else"})", "{"}) {
        write(bad);
        const auto r = withStudio(shipped, folder);
        ASSERT_FALSE(r) << bad;
        EXPECT_NE(r.problem().file.find("rules.json"), std::string::npos);
        std::vector<std::string> told;
        const auto whole = withWholeStudio(shipped, folder, told);
        EXPECT_EQ(told.size(), 1U) << bad;
        EXPECT_EQ(whole.book, shipped.book) << "the program goes on with its own";
        EXPECT_FALSE(std::filesystem::exists(folder / "rules.json")) << "set aside, not lost";
    }
}

TEST(Studio, KindsAndBandsAreKeptAndTakenUp) {
    const auto folder = emptyFolder();
    auto lib = *loadLibrary(MEZZET_TEST_DATA);
    auto own = kinds("name,width_in,depth_in,height_in\nHeron sofa,90,38,33\n");
    ASSERT_TRUE(own);
    own->front().legs = {{100, 100}, {2000, 100}, {1000, 800}};
    auto kit = withStudio(lib.kit, *own);
    ASSERT_TRUE(kit);
    lib.kit = *kit;
    ASSERT_TRUE(keepStudioKinds(lib, folder));
    Judgement bands{"viewer-and-air", {}};
    bands.choices["seat-to-table"].band = Band{300, 400, {}, {}};
    ASSERT_TRUE(keepStudioBands(bands, folder));
    const auto again = withStudio(*loadLibrary(MEZZET_TEST_DATA), folder);
    ASSERT_TRUE(again) << again.problem().text();
    ASSERT_TRUE(again->kit->byId("heron-sofa"));
    EXPECT_TRUE(again->kit->byId("heron-sofa")->own);
    const auto job = newProject(*again, "wall A 10'\nwall B 8'\nwall C 10'\nwall D 8'");
    ASSERT_TRUE(job);
    EXPECT_EQ((*job)->judgement.school, "viewer-and-air");
    EXPECT_EQ((*job)->judgement.choices.at("seat-to-table").band->low, 300);
    // A job with an own kind opens where the studio's files are not.
    auto p = std::make_shared<Project>(**job);
    auto scheme = std::make_shared<Scheme>();
    Piece piece = pieceOf(again->kit->byId("heron-sofa"));
    piece.id = 1;
    piece.name = "Heron sofa";
    piece.pose.at = {1500, 1200};
    scheme->pieces.push_back(piece);
    p->schemes = {scheme};
    const auto elsewhere = readJob(jobText(*p), "job.mezzet", *loadLibrary(MEZZET_TEST_DATA));
    ASSERT_TRUE(elsewhere) << elsewhere.problem().text();
    EXPECT_EQ((*elsewhere)->scheme().pieces.front().kind->name, "Heron sofa");
    EXPECT_EQ((*elsewhere)->scheme().pieces.front().kind->legs, own->front().legs);
    std::filesystem::remove_all(folder);
}

TEST(Studio, DamagedFilesSaySoAndNothingIsTaken) {
    const auto folder = emptyFolder();
    ASSERT_TRUE(writeWhole(folder / "bands.json", "{ not json"));
    const auto r = withStudio(*loadLibrary(MEZZET_TEST_DATA), folder);
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().file.find("bands.json"), std::string::npos);
    ASSERT_TRUE(writeWhole(folder / "bands.json", "{\"school\": \"nobody\"}"));
    EXPECT_FALSE(withStudio(*loadLibrary(MEZZET_TEST_DATA), folder));
    std::filesystem::remove_all(folder);
}

namespace {

constexpr std::array<std::string_view, 3> threeColumns{"name", "price", "note"};

} // namespace

TEST(CsvTable, NamesItsColumnsInAnyOrder) {
    const auto t = CsvTable::read("\xEF\xBB\xBFnote;name\r\n soft ;sofa\r\n;\r\n\"a;b\";lamp\r\n",
                                  "a.csv", threeColumns, 10);
    ASSERT_TRUE(t) << t.problem().text();
    ASSERT_EQ(t->rows(), 2U) << "a blank row is none";
    EXPECT_EQ(t->cell(0, 0), "sofa");
    EXPECT_EQ(t->cell(0, 2), "soft");
    EXPECT_EQ(t->cell(1, 2), "a;b");
    EXPECT_FALSE(t->has(1));
    EXPECT_EQ(t->cell(0, 1), "");
}

TEST(CsvTable, SaysWhereACellIsWrong) {
    const auto t = CsvTable::read("price,name\n1,sofa\n2,lamp\n", "a.csv", threeColumns, 10);
    ASSERT_TRUE(t);
    const auto p = t->fault(1, 1, "it is no price", "write it in figures");
    EXPECT_EQ(p.file, "a.csv");
    EXPECT_EQ(p.line, 3);
    EXPECT_NE(p.what.find("it is no price"), std::string::npos);
}

TEST(CsvTable, IsRefusedWhereItIsNone) {
    for (const auto& [text, says] :
         {std::pair{"", "empty"}, std::pair{"price\n1\n", "name"},
          std::pair{"name,colour\na,b\n", "colour"}, std::pair{"name,name\na,b\n", "name"},
          std::pair{"name\n\"a\n", "quote"}, std::pair{"name\n\xFF\xFE\n", "UTF-8"}}) {
        const auto t = CsvTable::read(text, "a.csv", threeColumns, 10);
        ASSERT_FALSE(t) << text;
        EXPECT_EQ(t.problem().file, "a.csv") << text;
        EXPECT_NE(t.problem().text().find(says), std::string::npos) << t.problem().text();
    }
    std::string many = "name\n";
    for (int i = 0; i < 11; ++i)
        many += "a\n";
    EXPECT_FALSE(CsvTable::read(many, "a.csv", threeColumns, 10));
}

TEST(CsvTable, TextGoesOutAndComesBackAndRunsAsNoFormula) {
    for (const char* text :
         {"=1+1", "+44", "-3", "@home", "plain", "a, b", "a \"b\" c", "=a,\"b\""}) {
        const auto cell = csvCell(text);
        const auto t = CsvTable::read("name\n" + cell + "\n", "a.csv", threeColumns, 10);
        ASSERT_TRUE(t) << cell;
        EXPECT_EQ(csvText(t->cell(0, 0)), text) << cell;
        const auto first = cell.find_first_not_of('"');
        EXPECT_EQ(std::string("=+-@").find(cell[first]), std::string::npos) << cell;
    }
}

TEST(PlainWord, IsTheSameAskedTwiceAndHowLongSoever) {
    for (int round = 0; round < 2; ++round) {
        EXPECT_EQ(plainWord("Side Tables"), "side table");
        EXPECT_EQ(plainWord("Étagères"), "etagere");
        EXPECT_EQ(plainWord("Boxes, shelves; and-benches"), "box shelf and bench");
        EXPECT_EQ(plainWord(""), "");
    }
    const std::string lengthy = std::string(200, 'x') + " tables";
    EXPECT_EQ(plainWord(lengthy), std::string(200, 'x') + " table");
    // Past what is remembered.
    for (int i = 0; i < 5000; ++i)
        ASSERT_EQ(plainWord("Table no" + std::to_string(i)), "table no" + std::to_string(i));
    EXPECT_EQ(plainWord("Side Tables"), "side table");
}
