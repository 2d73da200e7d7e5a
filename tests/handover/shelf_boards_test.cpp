// The boards of a job: by hand, and the stock they are cut of.
#include "handover/shelf_boards.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

TEST(ShelfBoards, OfAUnitAreItsSidesItsShelvesAndUprights) {
    // 60 wide, 3/4 boards: 58 1/2 between the sides; five shelves make six openings, so seven
    // boards lie between; one upright a row.
    const auto job = jobWith({"bookcase 60 x 12 x 84, 5 shelves, uprights 1 called Tall"});
    const auto boards = shelfBoards(**sceneOf(job), *job.library.book);
    int sides = 0, lying = 0, uprights = 0;
    for (const ShelfBoard& b : boards) {
        EXPECT_NEAR(b.thickness.inInches(), 0.75, 1e-9);
        EXPECT_NEAR(b.width.inInches(), 12, 1e-9);
        if (std::abs(b.length.inInches() - 84) < 1e-6)
            ++sides;
        else if (std::abs(b.length.inInches() - 58.5) < 1e-6)
            ++lying;
        else
            ++uprights;
        // Particle board and pine alike weigh what their volume does.
        EXPECT_GT(b.weight.kg(), 0.5);
    }
    EXPECT_EQ(sides, 2);
    EXPECT_EQ(lying, 7);
    EXPECT_EQ(uprights, 6);
    EXPECT_TRUE(shelfBoards(**sceneOf(job), *job.library.book, false).empty());
}

TEST(ShelfBoards, OfAShelfHaveTheirHolesOnItsBrackets) {
    const auto job =
        jobWith({"floating shelf 60 x 10 of pine, on 2 brackets on wall B, top at 60"});
    const auto scene = *sceneOf(job);
    const auto boards = shelfBoards(*scene, *job.library.book);
    ASSERT_EQ(boards.size(), 1U);
    EXPECT_EQ(boards[0].material, "Pine");
    EXPECT_FALSE(boards[0].assumed);
    EXPECT_EQ(boards[0].pilots.size(), 2U);
    // 400 kg/m3 of 60 x 10 x 1 1/2 in.
    const double litres =
        boards[0].length.mm() * boards[0].width.mm() * boards[0].thickness.mm() / 1e6;
    EXPECT_NEAR(boards[0].weight.kg(), 0.4 * litres, 1e-9);
}

TEST(ShelfBoards, AreCutOfStockThatHoldsThem) {
    const auto job = jobWith({"bookcase 60 x 12 x 84, 5 shelves called Tall",
                              "floating shelf 30 x 10 on wall B, top at 60"});
    const auto boards = shelfBoards(**sceneOf(job), *job.library.book);
    std::size_t seen = 0;
    for (const BoardLot& l : boardLots(boards, job.notation)) {
        EXPECT_FALSE(l.plan.sheets.empty());
        for (const std::size_t i : l.boards) {
            EXPECT_LE(boards[i].length, l.stock.along);
            EXPECT_LE(boards[i].width, l.stock.across);
        }
        seen += l.boards.size();
    }
    EXPECT_EQ(seen, boards.size());
}
