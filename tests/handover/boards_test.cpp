// Boards out of stock: against every way there is of cutting small cases, against bounds, and by
// looking at every plan that comes out.
#include "work/boards.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <functional>
#include <random>

using namespace mezzet;
using namespace mezzet::literals;

namespace {

BoardSize board(double along, double across) {
    return {Length::millimetres(along), Length::millimetres(across)};
}

BoardAsk of(double along, double across, double kerf = 0, bool turn = false) {
    BoardAsk a;
    a.stock = board(along, across);
    a.kerf = Length::millimetres(kerf);
    a.turn = turn;
    a.shown = {Units::millimetres, 8};
    return a;
}

/// Whether boards go on a sheet by through cuts: every set of them parted in two, along or across,
/// again and again. Written for itself: sizes of rests are tried, not shapes joined.
bool canCut(std::vector<BoardSize> boards, double along, double across, double kerf, bool turn) {
    if (boards.empty())
        return true;
    double area = 0;
    for (const auto& b : boards)
        area += b.along.mm() * b.across.mm();
    if (area > along * across + 1e-6)
        return false;
    const auto fits = [&](const BoardSize& b) {
        const double l = b.along.mm(), w = b.across.mm();
        return (l <= along + 1e-9 && w <= across + 1e-9) ||
               (turn && w <= along + 1e-9 && l <= across + 1e-9);
    };
    if (boards.size() == 1)
        return fits(boards.front());
    const std::size_t n = boards.size();
    // A cut somewhere: at every sum of sides that boards could make on one part of it.
    for (std::size_t mask = 1; mask < (std::size_t{1} << n) - 1; ++mask) {
        std::vector<BoardSize> one, other;
        for (std::size_t i = 0; i < n; ++i)
            ((mask >> i) & 1U ? one : other).push_back(boards[i]);
        std::vector<double> lengths, widths;
        std::function<void(std::size_t, double, bool)> sums = [&](std::size_t i, double s, bool l) {
            if (i == one.size()) {
                if (s > 0)
                    (l ? lengths : widths).push_back(s - kerf);
                return;
            }
            sums(i + 1, s, l);
            sums(i + 1, s + (l ? one[i].along : one[i].across).mm() + kerf, l);
            if (turn)
                sums(i + 1, s + (l ? one[i].across : one[i].along).mm() + kerf, l);
        };
        sums(0, 0, true);
        sums(0, 0, false);
        for (const double cut : lengths)
            if (cut < along && canCut(one, cut, across, kerf, turn) &&
                canCut(other, along - cut - kerf, across, kerf, turn))
                return true;
        for (const double cut : widths)
            if (cut < across && canCut(one, along, cut, kerf, turn) &&
                canCut(other, along, across - cut - kerf, kerf, turn))
                return true;
    }
    return false;
}

/// The fewest sheets, by every parting of the boards.
std::size_t fewest(const std::vector<BoardSize>& boards, const BoardAsk& ask) {
    const std::size_t n = boards.size();
    std::vector<std::size_t> best(std::size_t{1} << n, 1000);
    std::vector<char> whole(std::size_t{1} << n, 0);
    best[0] = 0;
    for (std::size_t s = 1; s < best.size(); ++s) {
        std::vector<BoardSize> some;
        for (std::size_t i = 0; i < n; ++i)
            if ((s >> i) & 1U)
                some.push_back(boards[i]);
        whole[s] =
            canCut(some, ask.stock.along.mm(), ask.stock.across.mm(), ask.kerf.mm(), ask.turn);
        for (std::size_t t = s; t != 0; t = (t - 1) & s)
            if (whole[t])
                best[s] = std::min(best[s], best[s ^ t] + 1);
    }
    return best.back();
}

/// No board over another, or nearer than the saw takes, none over the edge; each once.
void looksRight(const BoardPlan& plan, const std::vector<BoardSize>& boards, const BoardAsk& ask) {
    std::vector<int> seen(boards.size(), 0);
    double area = 0;
    for (const auto& sheet : plan.sheets) {
        EXPECT_FALSE(sheet.empty());
        for (const BoardCut& c : sheet) {
            ++seen.at(c.board);
            area += (c.size.along.mm() * c.size.across.mm());
            EXPECT_GE(c.along.mm(), -1e-6);
            EXPECT_GE(c.across.mm(), -1e-6);
            EXPECT_LE((c.along + c.size.along).mm(), ask.stock.along.mm() + 1e-4);
            EXPECT_LE((c.across + c.size.across).mm(), ask.stock.across.mm() + 1e-4);
            const bool asSaid = c.size == boards[c.board];
            const bool turned =
                c.size.along == boards[c.board].across && c.size.across == boards[c.board].along;
            EXPECT_TRUE(asSaid || (ask.turn && turned));
            for (const BoardCut& o : sheet)
                if (&o != &c) {
                    const bool apart =
                        (c.along + c.size.along + ask.kerf).mm() <= o.along.mm() + 1e-4 ||
                        (o.along + o.size.along + ask.kerf).mm() <= c.along.mm() + 1e-4 ||
                        (c.across + c.size.across + ask.kerf).mm() <= o.across.mm() + 1e-4 ||
                        (o.across + o.size.across + ask.kerf).mm() <= c.across.mm() + 1e-4;
                    EXPECT_TRUE(apart);
                }
        }
    }
    for (const int n : seen)
        EXPECT_EQ(n, 1);
    EXPECT_NEAR(plan.waste,
                1 - area / (static_cast<double>(plan.sheets.size()) * ask.stock.along.mm() *
                            ask.stock.across.mm()),
                1e-9);
}

} // namespace

TEST(Boards, CutInALineTakeAKerfLessThanThereAreOfThem) {
    // Two of 1200 out of 2400: there is no room for the saw; with 2403 there is.
    const std::vector<BoardSize> two{board(1200, 200), board(1200, 200)};
    EXPECT_EQ(cutBoards(two, of(2400, 200))->sheets.size(), 1U);
    EXPECT_EQ(cutBoards(two, of(2400, 200, 3))->sheets.size(), 2U);
    EXPECT_EQ(cutBoards(two, of(2402.9, 200, 3))->sheets.size(), 2U);
    const auto plan = cutBoards(two, of(2403, 200, 3));
    ASSERT_EQ(plan->sheets.size(), 1U);
    EXPECT_NEAR(plan->sheets[0][1].along.mm(), 1203, 1e-9);
    EXPECT_NEAR(plan->waste, 1 - 2400.0 / 2403, 1e-12);
}

TEST(Boards, OfAShelfUnitByHand) {
    // Seven shelves of 760 and two sides of 2000, 250 wide, from 2440 by 250 with 3 mm: each side
    // takes a board (440 left over); three shelves take 760 * 3 + 6 = 2286. So 2 + 3.
    std::vector<BoardSize> all(7, board(760, 250));
    all.push_back(board(2000, 250));
    all.push_back(board(2000, 250));
    const auto plan = cutBoards(all, of(2440, 250, 3));
    EXPECT_EQ(plan->sheets.size(), 5U);
    EXPECT_TRUE(plan->least);
    looksRight(*plan, all, of(2440, 250, 3));
}

TEST(Boards, AreTurnedOnlyWhenTheGrainMayRunAcross) {
    const std::vector<BoardSize> one{board(300, 900)};
    EXPECT_FALSE(cutBoards(one, of(1000, 400)));
    const auto turned = cutBoards(one, of(1000, 400, 0, true));
    ASSERT_TRUE(turned);
    EXPECT_EQ(turned->sheets[0][0].size, board(900, 300));
}

TEST(Boards, AreAsFewAsBySearchingEveryWay) {
    std::mt19937 random(11);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    for (int trial = 0; trial < 60; ++trial) {
        std::vector<BoardSize> boards;
        const int n = any(2, 5);
        for (int i = 0; i < n; ++i)
            boards.push_back(board(any(2, 10) * 100, any(1, 6) * 100));
        const BoardAsk ask = of(1200, 700, any(0, 1) * 3.0, any(0, 1) == 1);
        bool every = true;
        for (const BoardSize& b : boards)
            every = every && (canCut({b}, 1200, 700, ask.kerf.mm(), ask.turn));
        const auto plan = cutBoards(boards, ask);
        ASSERT_EQ(plan.ok(), every);
        if (!plan)
            continue;
        looksRight(*plan, boards, ask);
        EXPECT_EQ(plan->sheets.size(), fewest(boards, ask)) << "trial " << trial;
        EXPECT_TRUE(plan->least);
    }
}

TEST(Boards, ManyStillLieRight) {
    std::mt19937 random(5);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    for (int trial = 0; trial < 10; ++trial) {
        std::vector<BoardSize> boards;
        for (int i = 0; i < 60; ++i)
            boards.push_back(board(any(100, 1200), any(60, 400)));
        const BoardAsk ask = of(2440, 1220, 3.2, trial % 2 == 1);
        const auto plan = cutBoards(boards, ask);
        ASSERT_TRUE(plan);
        looksRight(*plan, boards, ask);
        // By area no plan is better; a fifth over that is a poor one.
        EXPECT_LE(plan->sheets.size(), leastSheets(boards, ask) * 6 / 5 + 1);
    }
}

TEST(Boards, AreRefusedWithTheReason) {
    EXPECT_NE(cutBoards({}, of(100, 100)).problem().what, "");
    EXPECT_NE(cutBoards({board(0, 10)}, of(100, 100)).problem().what.find("board 1"),
              std::string::npos);
    EXPECT_NE(
        cutBoards({board(10, 10), board(300, 10)}, of(100, 100)).problem().what.find("board 2"),
        std::string::npos);
    EXPECT_FALSE(cutBoards({board(10, 10)}, of(0, 100)));
    EXPECT_FALSE(cutBoards({board(10, 10)}, of(100, 100, -1)));
    EXPECT_FALSE(cutBoards(std::vector<BoardSize>(501, board(1, 1)), of(100, 100)));
}
