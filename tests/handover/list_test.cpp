// The list: totals against sums, tables both ways, and what goes back to the scheme.
#include "handover/list.h"

#include "edit/handed_over.h"
#include "jobs.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project furnished() {
    return jobWith({"sofa 84 x 36 x 34 against wall C", "coffee table 48 x 24 at 10', 9'",
                    "picture 30 x 24 on wall A, centre at 58 called harbour"});
}

Project with(const Project& job, const std::string& line) {
    auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    auto next = apply(job, said->edit);
    if (!next)
        throw std::runtime_error(line + ": " + next.problem().text());
    return *next->project;
}

const ListItem& itemCalled(const std::vector<ListItem>& all, const char* name) {
    for (const ListItem& i : all)
        if (i.name == name)
            return i;
    throw std::runtime_error(std::string("not on the list: ") + name);
}

Project reading(const Project& job, const std::string& csv) {
    const auto change = listFromCsv(csv, "a.csv", job);
    if (!change)
        throw std::runtime_error(change.problem().text());
    const auto next = apply(job, listEdit(job, *change, "the list"));
    if (!next)
        throw std::runtime_error(next.problem().text());
    return *next->project;
}

} // namespace

TEST(Money, IsReadAsPeopleWriteIt) {
    for (const auto& [text, value] :
         {std::pair{"1200", 1200.0}, std::pair{"1,200", 1200.0}, std::pair{"1,200.50", 1200.5},
          std::pair{"1.200,50", 1200.5}, std::pair{"49,9", 49.9}, std::pair{"49.95", 49.95},
          std::pair{"1 200", 1200.0}, std::pair{"0", 0.0}})
        EXPECT_EQ(readMoney(text), value) << text;
    for (const char* none : {"", "-1", "12a", "1e9", "$5", "1..2", "inf", "99999999999"})
        EXPECT_FALSE(readMoney(none)) << none;
}

TEST(List, BeginsWithEveryPieceToFind) {
    const auto items = jobList(furnished());
    ASSERT_EQ(items.size(), 3U);
    for (const ListItem& i : items) {
        EXPECT_EQ(i.state, ItemState::toFind);
        EXPECT_EQ(i.quantity, 1);
        EXPECT_EQ(i.room, "Plain");
        EXPECT_FALSE(i.price);
    }
}

TEST(List, SumsPriceTimesQuantityOfAllThatIsKept) {
    auto job =
        with(furnished(), "list sofa ordered, from Linden Workshop, price 1200, lead 6 weeks");
    job = with(job, "list cushion, 4 of them, 40.50 each");
    job = with(job, "list coffee table returned, price 500");
    job = with(job, "list harbour not wanted, price 90");
    job = with(job, "budget 2000");
    const auto items = jobList(job);
    EXPECT_EQ(itemCalled(items, "Sofa").leadDays, 42);
    EXPECT_EQ(itemCalled(items, "Sofa").supplier, "Linden Workshop");
    EXPECT_EQ(itemCalled(items, "Coffee table").state, ItemState::returned);
    EXPECT_DOUBLE_EQ(totalsOf(items).all, 1200 + 4 * 40.5);
    EXPECT_DOUBLE_EQ(totalsOf(items).byState.at(ItemState::returned), 500);
    EXPECT_EQ(job.handover->budget, 2000.0);
    // The price is the piece's own.
    EXPECT_EQ(job.scheme().byName("sofa")->cost, 1200.0);
}

TEST(List, FollowsANameAndGoesThroughTheFile) {
    auto job = with(furnished(), "list sofa ordered, note in linen");
    job = with(job, "call sofa long seat");
    EXPECT_EQ(itemCalled(jobList(job), "long seat").state, ItemState::ordered);
    const auto back = readJob(jobText(job), "a", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ(*(*back)->handover, *job.handover);
    EXPECT_EQ(jobText(**back), jobText(job));
}

TEST(List, ComesBackFromItsTableUnchanged) {
    auto job = with(furnished(), "list sofa ordered, from Linden, price 1200, lead 42 days");
    job = with(job, "list cushion, 4 of them, 40 each, note \"in wool");
    const auto csv = listAsCsv(jobList(job));
    const auto again = reading(job, csv);
    EXPECT_EQ(listAsCsv(jobList(again)), csv);
    EXPECT_EQ(jobText(again), jobText(job));
}

TEST(List, IsReadWithSemicolonsAByteOrderMarkAndColumnsLeftOut) {
    const auto job = reading(furnished(), "\xEF\xBB\xBFname;price;state\nsofa;1.200,50;ordered\n"
                                          "Blind;80;to find\n");
    const auto items = jobList(job);
    EXPECT_EQ(itemCalled(items, "Sofa").price, 1200.5);
    EXPECT_EQ(itemCalled(items, "Sofa").state, ItemState::ordered);
    EXPECT_EQ(itemCalled(items, "Blind").price, 80.0);
    EXPECT_EQ(itemCalled(items, "Blind").piece, 0);
    const auto change = listFromCsv("name\nBlind\n", "a.csv", furnished());
    ASSERT_EQ(change->told.size(), 1U);
    EXPECT_NE(change->told[0].find("Blind"), std::string::npos);
}

TEST(List, GivesSizesBackToTheScheme) {
    const auto job = reading(furnished(), "name,width_mm,depth_mm\nsofa,2000,900\n");
    EXPECT_NEAR(job.scheme().byName("sofa")->size.width.mm(), 2000, 1e-9);
    EXPECT_NEAR(job.scheme().byName("sofa")->size.depth.mm(), 900, 1e-9);
}

TEST(List, LeavesTheSizesOfOtherSchemesAndTakesPricesToThem) {
    auto job = with(furnished(), "scheme new called Other");
    job = with(job, "size sofa 78 wide");
    const auto wide = [&](std::size_t i) {
        return job.schemes[i]->byName("sofa")->size.width.inInches();
    };
    job = reading(job, listAsCsv(jobList(job)));
    EXPECT_NEAR(wide(0), 84, 1e-6);
    EXPECT_NEAR(wide(1), 78, 1e-6);
    job = reading(job, "name,price\nsofa,900\n");
    for (const SchemePtr& s : job.schemes)
        EXPECT_EQ(s->byName("sofa")->cost, 900.0);
}

TEST(List, ReadsWholeOrNotAtAll) {
    const auto job = furnished();
    for (const char* bad :
         {"", "nme\nsofa\n", "price\n5\n", "name,price\nsofa,dear\n", "name,state\nsofa,lost\n",
          "name,quantity\nsofa,-1\n", "name,lead_days\nsofa,1.5\n",
          "name,ordered\nsofa,2027-02-30\n", "name,name\nsofa,sofa\n", "name\n\"sofa\n",
          "name,width_mm\nsofa,0\n", "name,price\nsofa,100\n,5\n"}) {
        const auto change = listFromCsv(bad, "a.csv", job);
        ASSERT_FALSE(change) << bad;
        EXPECT_EQ(change.problem().file, "a.csv");
        EXPECT_FALSE(change.problem().what.empty());
    }
    const auto second = listFromCsv("name,price\nsofa,100\ncoffee table,x\n", "a.csv", job);
    EXPECT_EQ(second.problem().line, 3);
}

TEST(List, OfManyLinesIsRefusedOverItsLimit) {
    std::string csv = "name\n";
    for (int i = 0; i < 4001; ++i)
        csv += "thing " + std::to_string(i) + "\n";
    EXPECT_FALSE(listFromCsv(csv, "a.csv", furnished()));
}

TEST(List, LinesThatCantBeMeantAreRefused) {
    const auto job = furnished();
    for (const char* line :
         {"budget lots", "budget -5", "list", "list sofa price dear", "list sofa 12",
          "list sofa lead 3000 days", "list sofa due tomorrow", "list remove nothing of the kind"})
        EXPECT_NE(refusal(job, line).what, "") << line;
}

TEST(List, HasThePaintThatColouredWallsWant) {
    // 20 by 15 feet, 8 high: 560 sq ft of wall, less a window of 20 and a door of 17.8; two coats
    // at 10 m² a litre (common practice).
    auto job = with(furnished(), "colour walls sage");
    const double area = (560 - 20 - 32.0 * 80 / 144) * 0.09290304;
    const auto& gallons = itemCalled(jobList(job), "Wall paint");
    EXPECT_EQ(gallons.quantity, static_cast<int>(std::ceil(area * 2 / 10 / 3.785411784)));
    EXPECT_EQ(gallons.state, ItemState::toFind);
    EXPECT_NE(gallons.note.find("gallons"), std::string::npos);
    const auto metric = with(job, "units cm");
    EXPECT_EQ(itemCalled(jobList(metric), "Wall paint").quantity,
              static_cast<int>(std::ceil(area * 2 / 10)));
    EXPECT_NE(itemCalled(jobList(metric), "Wall paint").note.find("sage"), std::string::npos);
}

TEST(List, KeepsWhatIsToldOfAMaterialAndNotWhatIsReckoned) {
    auto job = with(furnished(), "colour walls sage");
    const int reckoned = itemCalled(jobList(job), "Wall paint").quantity;
    job = with(job, "list wall paint chosen, from Linden Paints, price 45");
    ASSERT_EQ(job.handover->list.size(), 1U);
    EXPECT_FALSE(job.handover->list.front().quantity);
    const auto& told = itemCalled(jobList(job), "Wall paint");
    EXPECT_EQ(told.state, ItemState::chosen);
    EXPECT_EQ(told.quantity, reckoned);
    EXPECT_DOUBLE_EQ(told.cost(), 45.0 * reckoned);
    // A table that goes out and comes back tells nothing more.
    const auto back = reading(job, listAsCsv(jobList(job)));
    EXPECT_EQ(*back.handover, *job.handover);
    // Fewer are told, and stay told.
    job = with(job, "list wall paint, 1 of them");
    EXPECT_EQ(itemCalled(jobList(job), "Wall paint").quantity, 1);
    // It goes with the colour; what was told of it stays on the list.
    const auto items = jobList(with(job, "colour walls none"));
    EXPECT_EQ(itemCalled(items, "Wall paint").supplier, "Linden Paints");
}

TEST(List, HasThePadsThatAreTold) {
    const auto plain = with(furnished(), "rug 96 x 60 under coffee table");
    EXPECT_THROW(itemCalled(jobList(plain), "Pad for Rug"), std::runtime_error);
    const auto padded = with(plain, "rug on a pad 1/4");
    const auto& pad = itemCalled(jobList(padded), "Pad for Rug");
    EXPECT_NEAR(pad.size[0]->mm(), 96 * 25.4, 0.01);
    EXPECT_NEAR(pad.size[1]->mm(), 60 * 25.4, 0.01);
}
