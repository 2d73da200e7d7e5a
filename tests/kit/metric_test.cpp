// Kinds as they come in metric trade.
#include "kit/metric.h"

#include <gtest/gtest.h>

#include <cmath>

using namespace mezzet;

namespace {

KitPtr shippedKit() {
    auto kit = loadKit(std::filesystem::path(MEZZET_TEST_DATA) / "kit");
    if (!kit)
        throw std::runtime_error(kit.problem().text());
    return *kit;
}

/// Whole half centimetres.
bool isRound(Length l) {
    return std::abs(l.mm() / 5 - std::round(l.mm() / 5)) < 1e-9;
}

} // namespace

TEST(MetricKit, SizesAreWholeCentimetres) {
    const auto kit = metricKit(*shippedKit());
    ASSERT_NE(kit, nullptr);
    for (const auto& k : kit->kinds()) {
        for (const Length l : {k->size.width, k->size.depth, k->size.height, k->clearBelow})
            EXPECT_TRUE(isRound(l)) << k->id << " " << l.mm();
        for (const Length l : {k->size.width, k->size.depth})
            if (l > Length::centimetres(5))
                EXPECT_NEAR(std::remainder(l.mm(), 10.0), 0, 1e-9) << k->id << " " << l.mm();
        for (const auto& h : {k->heights.seat, k->heights.arm, k->heights.back, k->heights.top})
            if (h) {
                EXPECT_TRUE(isRound(*h)) << k->id;
                EXPECT_LE(*h, k->size.height + quiet) << k->id;
            }
    }
}

TEST(MetricKit, ComesAsTheTradeHasIt) {
    // Common practice: sofa 210 x 90 x 85, chair 45 x 50, dining table 180 x 90, lamp 40 across.
    const auto kit = metricKit(*shippedKit());
    const auto is = [&](const char* id, double w, double d) {
        const auto k = kit->byId(id);
        ASSERT_NE(k, nullptr) << id;
        EXPECT_NEAR(k->size.width.mm(), w * 10, 1e-9) << id;
        EXPECT_NEAR(k->size.depth.mm(), d * 10, 1e-9) << id;
    };
    is("sofa", 210, 90);
    is("dining-chair", 45, 50);
    is("dining-table", 180, 90);
    is("floor-lamp", 40, 40);
    EXPECT_NEAR(kit->byId("dining-table")->size.height.mm(), 750, 1e-9);
    EXPECT_NEAR(kit->byId("sofa")->heights.seat->mm(), 450, 1e-9);
}

TEST(MetricKit, KeepsWordsAndForms) {
    const auto inches = shippedKit();
    const auto kit = metricKit(*inches);
    ASSERT_EQ(kit->kinds().size(), inches->kinds().size());
    EXPECT_EQ(kit->byWord("couch")->id, "sofa");
    for (const auto& k : kit->kinds()) {
        const auto was = inches->byId(k->id);
        EXPECT_EQ(k->footprint.form, was->footprint.form) << k->id;
        const bool round = abs(was->outlineSize().width - was->outlineSize().depth) <= quiet;
        if (was->footprint.form == FootprintForm::oval && round)
            EXPECT_NEAR(k->outlineSize().width.mm(), k->outlineSize().depth.mm(), 1e-9) << k->id;
        // Near what it is in inches: no metric table is half as long again.
        EXPECT_LT(k->size.width / was->size.width, 1.3) << k->id;
        EXPECT_GT(k->size.width / was->size.width, 0.8) << k->id;
    }
}

TEST(MetricKit, AStudiosOwnKindIsAsItIsWritten) {
    Kind own = *shippedKit()->byId("sofa");
    own.own = true;
    own.size.width = Length::millimetres(2137);
    EXPECT_EQ(metricKind(own).size.width, own.size.width);
}
