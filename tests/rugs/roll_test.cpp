// The roll: least length against an exhaustive search, and against bounds nothing goes under.
#include "geometry/polygon.h"
#include "rugs/roll.h"

#include <gtest/gtest.h>

#include <random>

using namespace mezzet;

namespace {

/// Whether whole-numbered rectangles go into a strip of whole cells, tried everywhere: the first
/// empty cell gets each of them in turn, or stays empty for good.
class Cells {
public:
    Cells(std::vector<std::pair<int, int>> items, int width, int length)
        : items_(std::move(items)), width_(width), length_(length),
          full_(static_cast<std::size_t>(width * length), false), used_(items_.size(), false) {
        spare_ = width * length;
        for (const auto& [w, h] : items_)
            spare_ -= w * h;
    }
    bool fit() { return spare_ >= 0 && place(0, items_.size()); }

private:
    bool place(std::size_t from, std::size_t left) {
        if (left == 0)
            return true;
        while (from < full_.size() && full_[from])
            ++from;
        if (from == full_.size())
            return false;
        const int x = static_cast<int>(from) % width_;
        const int y = static_cast<int>(from) / width_;
        for (std::size_t i = 0; i < items_.size(); ++i) {
            if (used_[i] || !fill(x, y, items_[i], true))
                continue;
            used_[i] = true;
            if (place(from + 1, left - 1))
                return true;
            used_[i] = false;
            fill(x, y, items_[i], false);
        }
        if (spare_ == 0)
            return false;
        --spare_;
        full_[from] = true;
        const bool done = place(from + 1, left);
        full_[from] = false;
        ++spare_;
        return done;
    }
    bool fill(int x, int y, std::pair<int, int> size, bool on) {
        if (x + size.first > width_ || y + size.second > length_)
            return false;
        for (int pass = on ? 0 : 1; pass < 2; ++pass)
            for (int b = y; b < y + size.second; ++b)
                for (int a = x; a < x + size.first; ++a) {
                    const auto cell = static_cast<std::size_t>(b * width_ + a);
                    if (pass == 0 && full_[cell])
                        return false;
                    if (pass == 1)
                        full_[cell] = on;
                }
        return true;
    }

    std::vector<std::pair<int, int>> items_;
    int width_;
    int length_;
    std::vector<bool> full_;
    std::vector<bool> used_;
    int spare_ = 0;
};

int leastLength(const std::vector<std::pair<int, int>>& items, int width) {
    for (int length = 1;; ++length)
        if (Cells(items, width, length).fit())
            return length;
}

/// No two lie over each other, and none over the roll's edge; how long it is.
void expectLies(const std::vector<StripItem>& items, const StripPacking& p, double width) {
    ASSERT_EQ(p.at.size(), items.size());
    double longest = 0;
    for (std::size_t i = 0; i < items.size(); ++i) {
        EXPECT_GE(p.at[i].x, -1e-6);
        EXPECT_GE(p.at[i].y, -1e-6);
        EXPECT_LE(p.at[i].x + items[i].size.x, width + 1e-6);
        longest = std::max(longest, p.at[i].y + items[i].size.y);
        for (std::size_t k = 0; k < i; ++k) {
            const bool apart = p.at[i].x + items[i].size.x <= p.at[k].x + 1e-6 ||
                               p.at[k].x + items[k].size.x <= p.at[i].x + 1e-6 ||
                               p.at[i].y + items[i].size.y <= p.at[k].y + 1e-6 ||
                               p.at[k].y + items[k].size.y <= p.at[i].y + 1e-6;
            EXPECT_TRUE(apart) << i << " over " << k;
        }
    }
    EXPECT_NEAR(p.length, longest, 1e-6);
}

RollCut cutOf(double across, double along, const char* name = "cut") {
    return {name, Length::inches(across), Length::inches(along)};
}

RollAsk askOf(double width, double allowance = 0) {
    RollAsk a;
    a.width = Length::inches(width);
    a.allowance = Length::inches(allowance);
    return a;
}

} // namespace

TEST(Strip, IsWithinThreePercentOfAnExhaustiveSearch) {
    std::mt19937 random(7);
    int exact = 0;
    int all = 0;
    for (int round = 0; round < 160; ++round) {
        const int width = 5 + static_cast<int>(random() % 4);
        const int n = 2 + static_cast<int>(random() % 5);
        std::vector<std::pair<int, int>> cells;
        std::vector<StripItem> items;
        for (int i = 0; i < n; ++i) {
            const int w = 1 + static_cast<int>(random() % static_cast<unsigned>(width));
            const int h = 1 + static_cast<int>(random() % 5);
            cells.emplace_back(w, h);
            items.push_back({{double(w), double(h)}});
        }
        const auto found = packStrip(items, width);
        expectLies(items, found, width);
        const int least = leastLength(cells, width);
        EXPECT_GE(found.length, least - 1e-6);
        EXPECT_LE(found.length, least * 1.03 + 1e-6) << "round " << round;
        exact += found.length < least + 1e-6 ? 1 : 0;
        ++all;
    }
    EXPECT_GE(exact, all - 1);
}

TEST(Strip, OfTwentyIsNearTheBoundOfItsArea) {
    std::mt19937 random(11);
    for (int round = 0; round < 4; ++round) {
        std::vector<StripItem> items;
        std::vector<Vec2> sizes;
        for (int i = 0; i < 20; ++i) {
            items.push_back({{600.0 + random() % 1800, 900.0 + random() % 2600}});
            sizes.push_back(items.back().size);
        }
        const auto found = packStrip(items, 3657.6);
        expectLies(items, found, 3657.6);
        EXPECT_LE(found.length, leastRollLength(sizes, 3657.6) * 1.25);
        EXPECT_FALSE(found.stopped);
    }
}

TEST(Strip, StopsWhenItIsToldTo) {
    std::vector<StripItem> items(30, StripItem{{700, 900}});
    for (std::size_t i = 0; i < items.size(); ++i)
        items[i].size.x += static_cast<double>(i * 37 % 400);
    const auto found = packStrip(items, 3657.6, 0, 0, [](double) { return false; });
    EXPECT_TRUE(found.stopped);
    expectLies(items, found, 3657.6);
}

TEST(Roll, AddsTheAllowanceAtEachOfFourEdges) {
    const auto plan = layOnRoll({cutOf(108, 144)}, askOf(144, 2));
    ASSERT_TRUE(plan);
    EXPECT_NEAR(plan->length.inInches(), 148, 1e-9);
    EXPECT_NEAR(plan->parts[0].size.x / 25.4, 112, 1e-9);
    EXPECT_NEAR(plan->waste(), 1 - 108.0 * 144 / (144 * 148), 1e-12);
    const auto bare = layOnRoll({cutOf(144, 100)}, askOf(144));
    ASSERT_TRUE(bare);
    EXPECT_NEAR(bare->waste(), 0, 1e-12);
}

TEST(Roll, MakesNoSeamUnasked) {
    const auto wide = layOnRoll({cutOf(160, 100, "Hall rug")}, askOf(144, 2));
    ASSERT_FALSE(wide);
    EXPECT_NE(wide.problem().what.find("Hall rug"), std::string::npos);
    auto ask = askOf(144, 2);
    ask.seams = true;
    const auto plan = layOnRoll({cutOf(160, 100)}, ask);
    ASSERT_TRUE(plan);
    ASSERT_EQ(plan->seams.size(), 1U);
    EXPECT_NEAR(plan->seams[0].length().inInches(), 100, 1e-9);
    ASSERT_EQ(plan->parts.size(), 2U);
    // Each has its own allowances, at the seam too.
    double across = 0;
    for (const auto& p : plan->parts) {
        EXPECT_LE(p.size.x, ask.width.mm() + 1e-6);
        across += p.size.x / 25.4 - 4;
    }
    EXPECT_NEAR(across, 160, 1e-9);
}

TEST(Roll, SeamsAreAsFewAsCanBe) { // a length between two has an allowance at both its edges
    auto ask = askOf(144, 2);
    ask.seams = true;
    for (const auto& [across, seams] : {std::pair{140.0, 0}, {140.5, 1}, {280.0, 1}, {281.0, 2}}) {
        const auto plan = layOnRoll({cutOf(across, 50)}, ask);
        ASSERT_TRUE(plan);
        EXPECT_EQ(static_cast<int>(plan->seams.size()), seams) << across;
    }
}

TEST(Roll, TheSeamOfAnLIsAtItsInnerCornerWhereItIsShortest) {
    // 200 across at its foot, 100 across above: a seam up the inner corner joins 60, and no more.
    RollCut ell = cutOf(200, 150);
    const double in = 25.4;
    ell.outline = {
        {0, 0},       {200 * in, 0}, {200 * in, 60 * in}, {100 * in, 60 * in}, {100 * in, 150 * in},
        {0, 150 * in}};
    auto ask = askOf(144, 2);
    ask.seams = true;
    const auto plan = layOnRoll({ell}, ask);
    ASSERT_TRUE(plan);
    ASSERT_EQ(plan->seams.size(), 1U);
    EXPECT_NEAR(plan->seams[0].length().inInches(), 60, 0.01);
    EXPECT_GE(plan->seams[0].from.x, 100 * in - 0.01);
    EXPECT_NEAR(plan->area, (200 * 60 + 100 * 90) * in * in, 1);
}

TEST(Roll, ASeamKeepsOutOfADoorway) {
    RollCut hall = cutOf(200, 100);
    Box door;
    door.include(Vec2{95 * 25.4, 0});
    door.include(Vec2{135 * 25.4, 24 * 25.4});
    hall.noSeam = {door};
    auto ask = askOf(144, 2);
    ask.seams = true;
    const auto plan = layOnRoll({hall}, ask);
    ASSERT_TRUE(plan);
    ASSERT_EQ(plan->seams.size(), 1U);
    EXPECT_FALSE(plan->seams[0].walkedOn);
    const double x = plan->seams[0].from.x / 25.4;
    EXPECT_TRUE(x <= 95 + 1e-6 || x >= 135 - 1e-6) << x;
    // Where it can't be helped it is told.
    hall.noSeam.front().include(Vec2{0, 0});
    hall.noSeam.front().include(Vec2{200 * 25.4, 0});
    const auto told = layOnRoll({hall}, ask);
    ASSERT_TRUE(told);
    EXPECT_TRUE(told->seams[0].walkedOn);
}

TEST(Roll, PatternsOfOnePieceMatch) {
    auto ask = askOf(144, 0);
    ask.seams = true;
    ask.repeat = Length::inches(18);
    ask.drop = Length::inches(9);
    const auto plan = layOnRoll({cutOf(260, 100), cutOf(60, 70)}, ask);
    ASSERT_TRUE(plan);
    std::vector<double> at;
    for (const auto& p : plan->parts)
        if (p.cut == 0)
            at.push_back(p.at.y / 25.4);
    ASSERT_EQ(at.size(), 2U);
    const double off = std::fmod(std::abs(at[1] - at[0]) + 1e-7, 18.0);
    EXPECT_NEAR(off, 9, 1e-5);
}

TEST(Roll, RefusesWhatCantBe) {
    EXPECT_FALSE(layOnRoll({}, askOf(144)));
    EXPECT_FALSE(layOnRoll({cutOf(0, 10)}, askOf(144)));
    EXPECT_FALSE(layOnRoll({cutOf(10, 10)}, askOf(0)));
    EXPECT_FALSE(layOnRoll({cutOf(10, 10)}, askOf(144, -1)));
    EXPECT_FALSE(layOnRoll({cutOf(10, 10)}, askOf(144, 72)));
    auto dropped = askOf(144);
    dropped.drop = Length::inches(9);
    EXPECT_FALSE(layOnRoll({cutOf(10, 10)}, dropped));
    EXPECT_FALSE(layOnRoll(std::vector<RollCut>(mostCuts + 1, cutOf(10, 10)), askOf(144)));
}

TEST(Rolls, AreListedLeastWasteFirst) {
    const auto plans = layOnRolls({cutOf(150, 100)}, askOf(1),
                                  {Length::feet(12), Length::feet(15), Length::inches(158)});
    ASSERT_TRUE(plans);
    ASSERT_EQ(plans->size(), 2U);
    EXPECT_LT((*plans)[0].waste(), (*plans)[1].waste());
    EXPECT_NEAR((*plans)[0].width.inInches(), 158, 1e-9);
    EXPECT_FALSE(layOnRolls({cutOf(500, 100)}, askOf(1), {Length::feet(12)}));
}

// Wherever a seam would lie of itself: with that place walked on, it lies elsewhere.
TEST(Roll, ASeamLeavesThePlaceItWouldHaveWhenThatIsWalkedOn) {
    auto ask = askOf(144, 2);
    ask.seams = true;
    for (const double across : {170.0, 200.0, 230.0}) {
        RollCut hall = cutOf(across, 100);
        const auto free = layOnRoll({hall}, ask);
        ASSERT_TRUE(free);
        ASSERT_EQ(free->seams.size(), 1U);
        const double x = free->seams[0].from.x;
        Box walked;
        walked.include(Vec2{x - 5 * 25.4, 0});
        walked.include(Vec2{x + 5 * 25.4, 100 * 25.4});
        hall.noSeam = {walked};
        const auto plan = layOnRoll({hall}, ask);
        ASSERT_TRUE(plan);
        ASSERT_EQ(plan->seams.size(), 1U);
        EXPECT_FALSE(plan->seams[0].walkedOn) << across;
        EXPECT_GE(std::abs(plan->seams[0].from.x - x), 5 * 25.4 - 0.01) << across;
    }
}
