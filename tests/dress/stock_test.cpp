// The stock as a table: read, written, and refused with line and reason.
#include "dressed_jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Result<Stock> read(const std::string& text) {
    return stockFromCsv(text, "things.csv", *library().kit);
}

} // namespace

TEST(StockTable, IsReadInAnyOrder) {
    const auto s = read("\xEF\xBB\xBF"
                        "colour,name,height_in,width_in,depth_in,count,kind,material\r\n"
                        "#f0e6c8,cream book,9,1,6,12,book,paper\r\n"
                        "brass,\"bowl, large\",5,10,10,,bowl,brass\r\n"
                        ",seaside print,14,11,1,1,,\r\n\r\n");
    ASSERT_TRUE(s) << s.problem().text();
    ASSERT_EQ(s->size(), 3U);
    EXPECT_EQ((*s)[0].count, 12);
    EXPECT_NEAR((*s)[0].size.width.inInches(), 1, 1e-9);
    EXPECT_EQ(hexOf(*(*s)[0].colour), "#f0e6c8");
    EXPECT_EQ((*s)[1].name, "bowl, large");
    EXPECT_EQ((*s)[1].count, 1);
    EXPECT_EQ((*s)[2].kind->id, "print");
    EXPECT_EQ(namesOf((*s)[0]).back(), "cream book 12");
    EXPECT_EQ(namesOf((*s)[1]), (std::vector<std::string>{"bowl, large"}));
    const auto metric =
        read("name,kind,width_mm,depth_cm,height_mm,weight_kg\nJar,ginger jar,180,18,"
             "250,1.5\n");
    ASSERT_TRUE(metric) << metric.problem().text();
    EXPECT_NEAR((*metric)[0].size.depth.mm(), 180, 1e-9);
    EXPECT_NEAR(*(*metric)[0].kilograms, 1.5, 1e-9);
}

TEST(StockTable, IsReadAgainAsItIsWritten) {
    const auto job = jobWith({"stock 12 cream books 9 x 6 x 1, with navy cloth, 2 lb each",
                              "stock polished brass bowl 10 dia x 5", "stock print 11 x 14"});
    for (const bool metric : {false, true}) {
        const auto again = read(stockAsCsv(*job.stock, metric));
        ASSERT_TRUE(again) << again.problem().text();
        ASSERT_EQ(again->size(), job.stock->size());
        for (std::size_t i = 0; i < again->size(); ++i) {
            EXPECT_EQ((*again)[i].name, (*job.stock)[i].name);
            EXPECT_EQ((*again)[i].kind, (*job.stock)[i].kind);
            EXPECT_EQ((*again)[i].colour, (*job.stock)[i].colour);
            EXPECT_EQ((*again)[i].colour2, (*job.stock)[i].colour2);
            EXPECT_EQ((*again)[i].finish, (*job.stock)[i].finish);
            EXPECT_NEAR((*again)[i].size.width.mm(), (*job.stock)[i].size.width.mm(), 0.01);
        }
        EXPECT_NEAR(*(*again)[0].kilograms, 2 * 0.45359237, 1e-4);
    }
    // A name that a spreadsheet would run is text.
    Stock odd = *job.stock;
    odd[0].name = "=1+1";
    EXPECT_NE(stockAsCsv(odd, false).find("'=1+1"), std::string::npos);
    EXPECT_EQ((*read(stockAsCsv(odd, false)))[0].name, "=1+1");
}

TEST(StockTable, OfAnotherShapeIsRefusedWithItsLine) {
    const std::string head = "name,kind,count,width_in,depth_in,height_in,colour,material\n";
    const auto lineOf = [&](const std::string& text) {
        const auto s = read(text);
        return s ? -1 : s.problem().line;
    };
    EXPECT_EQ(lineOf(""), 1);
    EXPECT_EQ(lineOf("name,kind\na,book\n"), 1);
    EXPECT_EQ(lineOf("name,kind,width_in,depth_in,height_in,taste\n"), 1);
    EXPECT_EQ(lineOf("name,name,width_in,depth_in,height_in\n"), 1);
    EXPECT_EQ(lineOf(head + "a,book,1,1,6,9,,\nb,book,0,1,6,9,,\n"), 3);
    EXPECT_EQ(lineOf(head + "a,book,1,-1,6,9,,\n"), 2);
    EXPECT_EQ(lineOf(head + "a,book,1,1e99,6,9,,\n"), 2);
    EXPECT_EQ(lineOf(head + "a,book,1.5,1,6,9,,\n"), 2);
    EXPECT_EQ(lineOf(head + "a,sofa,1,1,6,9,,\n"), 2);
    EXPECT_EQ(lineOf(head + "a,book,1,1,6,9,mauvish,\n"), 2);
    EXPECT_EQ(lineOf(head + "thingummy,,1,1,6,9,,\n"), 2);
    EXPECT_EQ(lineOf(head + "a,book,1,1,6,\n"), 2);
    EXPECT_EQ(lineOf(head + "\"a,book\n"), 2);
    EXPECT_FALSE(read("name,width_in\n\xff\xfe"));
    std::string many = head;
    for (int i = 0; i < 100000; ++i)
        many += "a" + std::to_string(i) + ",book,1,1,6,9,,\n";
    const auto s = read(many);
    ASSERT_FALSE(s);
    EXPECT_NE(s.problem().text().find("2000"), std::string::npos);
}
