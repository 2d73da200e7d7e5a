// The shopping card: every size on it does, and the next one doesn't.
#include "site/card.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const CardThing* thingCalled(const ShoppingCard& card, std::string_view name) {
    for (const CardThing& t : card.things)
        if (t.item.name == name)
            return &t;
    return nullptr;
}

} // namespace

TEST(Card, HasTheSizesThatWouldDo) {
    const auto job =
        jobWith({"sofa 84 x 36 x 34 against wall A, centred on wall A",
                 "coffee table 48 x 24 at 10', 5' 7\"", "sideboard 60 x 18 against wall D",
                 "armchair at 16', 9', facing coffee table", "budget 5000",
                 "list sofa ordered, price 1500"});
    const auto scene = *sceneOf(job);
    const auto card = shoppingCard(job, *scene);
    EXPECT_EQ(thingCalled(card, "Sofa"), nullptr); // it is ordered
    ASSERT_TRUE(card.left);
    EXPECT_DOUBLE_EQ(*card.left, 3500);
    for (const char* name : {"Coffee table", "Sideboard", "Armchair"}) {
        const CardThing* t = thingCalled(card, name);
        ASSERT_NE(t, nullptr) << name;
        const Piece& p = *job.scheme().byName(name);
        EXPECT_EQ(t->width->best, p.size.width);
        EXPECT_LE(t->width->least, t->width->best);
        EXPECT_GE(t->width->most, t->width->best);
        EXPECT_FALSE(t->waysIn.empty() && t->notIn.empty());
        for (const auto& [width, does] :
             {std::pair{t->width->least, true}, std::pair{t->width->most, true}}) {
            const auto found =
                doesThisOneFit(job, *scene, p.id, {width, p.size.depth, p.size.height});
            ASSERT_TRUE(found);
            EXPECT_EQ(found->fits, does) << name << " " << width.inInches();
        }
        const Length more = t->width->most + Length::inches(1);
        if (more <= p.size.width * 1.35) {
            const auto found =
                doesThisOneFit(job, *scene, p.id, {more, p.size.depth, p.size.height});
            EXPECT_TRUE(!found || !found->fits) << name;
        }
    }
}

TEST(Card, TakesThoseThatAreAlikeTogether) {
    const auto job = jobWith({"round table 54 at 10', 8'", "4 chairs around table"});
    const auto card = shoppingCard(job, **sceneOf(job));
    int chairs = 0;
    for (const CardThing& t : card.things)
        if (t.item.kind && t.item.kind->role == Role::diningChair) {
            ++chairs;
            EXPECT_EQ(t.count, 4);
        }
    EXPECT_EQ(chairs, 1);
}
