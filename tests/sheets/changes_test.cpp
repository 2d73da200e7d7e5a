// From one season to the next: what goes, what comes, what moves, what is in another colour.
#include "jobs.h"
#include "sheets/sheet.h"

#include <gtest/gtest.h>

using namespace mezzet;
using namespace mezzet::test;

TEST(Seasons, ChangesAreToldFromTheSchemeBefore) {
    auto job = jobWith({"console 60 x 16 against wall A", "vase on console, 6 from left end",
                        "bowl on console, 24 from left end",
                        "brass sphere on console, 40 from left end", "scheme rename Spring",
                        "season Autumn", "remove vase", "candlestick on console, 6 from left end",
                        "bowl 4 right", "colour brass sphere navy"});
    EXPECT_EQ(job.scheme().name, "Autumn");
    const auto table = sheets::changesSheet.table(job, {});
    ASSERT_TRUE(table) << table.problem().text();
    EXPECT_NE(table->find("away,Vase"), std::string::npos) << *table;
    EXPECT_NE(table->find("out,Candlestick"), std::string::npos) << *table;
    EXPECT_NE(table->find("moves,Bowl"), std::string::npos) << *table;
    EXPECT_NE(table->find("colour,Brass sphere"), std::string::npos) << *table;
    EXPECT_EQ(table->find(",Console,"), std::string::npos) << *table;
    const auto sheet = sheets::changesSheet.pages(job, {});
    ASSERT_TRUE(sheet);
    EXPECT_EQ(sheet->paper.pages.size(), 1U);
    // Back, what went comes again.
    sheets::SheetOptions o;
    o.of = "Autumn";
    auto said = readLine("season spring", job);
    ASSERT_TRUE(said);
    job = *apply(job, said->edit)->project;
    EXPECT_EQ(job.scheme().name, "Spring");
    EXPECT_NE(sheets::changesSheet.table(job, o)->find("out,Vase"), std::string::npos);
    o.of = "Winter";
    EXPECT_FALSE(sheets::changesSheet.table(job, o));
    EXPECT_FALSE(sheets::changesSheet.table(jobWith({}), {}));
}
