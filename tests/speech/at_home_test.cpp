// What is put without a word of where goes where its kind usually does; what is seen, how many fit,
// how many sit where a table stands. The plain room is 240 by 180: its window is 90 to 150 from the
// left of wall A, its door 24 to 56 from the left of wall C.
#include "speech/at_home.h"

#include "spoken_to.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Vec2 placedAt(const Project& job, const char* name) {
    return poseOf(job, name).at / 25.4;
}
bool tellsOf(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}

} // namespace

TEST(AtHome, ANightstandStandsByTheBedAndTwoOnEachSide) {
    const auto job = jobWith({"queen bed against wall B"});
    const Vec2 bed = placedAt(job, "Queen bed");
    for (const char* line : {"nightstand", "a bedside table", "put a nightstand on the left",
                             "nightstand on the right side"}) {
        const auto one = afterSaying(job, line);
        const Vec2 at = placedAt(one, "Nightstand");
        // Beside it, and at its head: wall B is where x is 240.
        EXPECT_NEAR(std::abs(at.y - bed.y), 31 + 11, 0.02) << line;
        EXPECT_NEAR(at.x, 240 - 9, 0.02) << line;
    }
    for (const char* line : {"nightstands", "two nightstands", "a nightstand on each side",
                             "bedside tables on both sides"}) {
        const auto both = afterSaying(job, line);
        ASSERT_EQ(both.scheme().pieces.size(), 3U) << line;
        EXPECT_NEAR(std::abs(placedAt(both, "Nightstand").y - placedAt(both, "Nightstand 2").y), 84,
                    0.05)
            << line;
    }
    // The second goes to the side that is free.
    const auto second = afterSaying(afterSaying(job, "nightstand"), "another nightstand");
    EXPECT_NEAR(std::abs(placedAt(second, "Nightstand").y - placedAt(second, "Nightstand 2").y), 84,
                0.05);
    // Somewhere is anywhere.
    EXPECT_TRUE(tellsOf(toldBySaying(job, "nightstand somewhere"), "where there is room") ||
                tellsOf(toldBySaying(job, "nightstand somewhere"), "refused"));
    EXPECT_TRUE(tellsOf(toldBySaying(jobWith({}), "nightstand"), "where there is room"));
}

TEST(AtHome, EachGoesWithTheOneThingItIsUsedWith) {
    const auto job = jobWith({"sofa against wall A, 20 from corner DA", "desk against wall B"});
    EXPECT_TRUE(tellsOf(toldBySaying(job, "coffee table"), "from Sofa"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "desk chair"), "facing Desk"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "cushions"), "on Sofa"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "end tables"), "left of Sofa"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "8x10 rug"), "under the front legs of Sofa"));
    // Of two it is not known which.
    const auto two = jobWith({"sofa against wall A, 20 from corner DA",
                              "another sofa against wall C, 20 from corner CD"});
    EXPECT_TRUE(tellsOf(toldBySaying(two, "coffee table"), "where there is room"));
    const auto dining = jobWith({"dining table at 120, 80"});
    const auto seated = afterSaying(dining, "dining chairs");
    EXPECT_GT(seated.scheme().pieces.size(), 5U);
    for (const Piece& p : seated.scheme().pieces)
        if (p.kind->role == Role::diningChair)
            EXPECT_EQ(p.ties.front().kind, Tie::Kind::atPlace);
}

TEST(AtHome, ATableSeatsFewerWhereAWallIsBesideIt) {
    // 72 by 38 with 24 in each: three on a long side and one at each end, on the side that is free.
    const auto job = jobWith({"dining table 72 x 38 against wall B"});
    EXPECT_TRUE(tellsOf(toldBySaying(job, "how many people can sit at the dining table?"),
                        "where it stands 5"));
    const auto free = jobWith({"dining table 72 x 38 at 120, 80"});
    EXPECT_EQ(toldBySaying(free, "how many people can sit at the dining table?"),
              "Dining table seats 8, with 24\" of its edge each");
    const auto desk = jobWith({"desk 54 x 26 against wall B"});
    EXPECT_TRUE(tellsOf(toldBySaying(desk, "how many can sit at the desk?"), "Desk seats 2"));
}

TEST(AtHome, HowManyFitAlongAWall) {
    // Wall B is 180 long: five bookcases of 36.
    const auto job = jobWith({});
    EXPECT_TRUE(toldBySaying(job, "how many bookcases fit on wall B?").starts_with("5 on wall B"));
    // A dresser of 60 in its left corner leaves 120: three.
    const auto less = jobWith({"dresser 60 x 20 against wall B, 0 from corner AB"});
    EXPECT_TRUE(toldBySaying(less, "how many bookcases fit on wall B?").starts_with("3 on wall B"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "how many bookcases fit on the table?"), "refused"));
}

TEST(AtHome, WhatIsSeenFromASeatLooksOverLowThings) {
    const auto job = jobWith({"sofa against wall D", "coffee table 15 from sofa, centred on sofa",
                              "bookcase against wall B, centred on wall B"});
    const auto told = toldBySaying(job, "what can I see from the sofa?");
    EXPECT_TRUE(tellsOf(told, "one sees first Bookcase")) << told;
    EXPECT_FALSE(tellsOf(told, "Coffee table")) << told;
    EXPECT_TRUE(tellsOf(toldBySaying(job, "what is seen first from the door?"), "From door 1"));
    EXPECT_TRUE(tellsOf(toldBySaying(job, "what is seen from wall A?"), "nobody looks from there"));
}

TEST(AtHome, RoomBeforeWhatIsBuiltIn) {
    const auto job = jobWith({"sofa 84 x 36 at 120, 90"},
                             "room R\nceiling 8'\nwall A 20'\n radiator 8' from left, 4' wide, 6 "
                             "deep\nwall B 15'\nwall C 20'\nwall D 15'\n");
    // From the radiator's face, 6 out of the wall, to the sofa, whose edge is 72 from it.
    EXPECT_TRUE(
        toldBySaying(job, "how much room is in front of the radiator?").starts_with("66\""));
}

TEST(AtHome, WhatIsStillToMeasure) {
    const auto told =
        toldBySaying(jobWith({"bookcase against wall B"}), "what is still to measure?");
    EXPECT_TRUE(tellsOf(told, "studs on wall B")) << told;
}

TEST(AtHome, AUnitThatMakesAThingFarTooSmallIsAskedAbout) {
    const char* notes = "units mm\nroom R\nceiling 2400\nwall A 5000\nwall B 4000\nwall C "
                        "5000\nwall D 4000\n";
    const auto job = jobWith({}, notes);
    for (const char* line : {"wardrobe 200 wide", "bed 160 x 200", "desk 120 x 60", "rug 160 x 230",
                             "shelf 80 long on wall D"}) {
        const auto said = readSpoken(line, job, {});
        ASSERT_FALSE(said) << line;
        EXPECT_TRUE(tellsOf(said.problem().remedy, "cm")) << line << ": " << said.problem().remedy;
    }
    const auto ways = waysOn("desk 120 x 60", job, {});
    ASSERT_FALSE(ways.empty());
    EXPECT_EQ(ways.front(), "desk 120 x 60 cm");
    EXPECT_TRUE(readSpoken("desk 1200 x 600", job, {}));
    EXPECT_TRUE(readSpoken("desk 1.2 m x 600 mm", job, {}));
    EXPECT_TRUE(readSpoken("picture 300 x 200 on wall D", job, {}));
    // In inches, what is meant in feet.
    EXPECT_TRUE(tellsOf(toldBySaying(jobWith({}), "sofa 7 x 3"), "7 x 3 ft"));
    EXPECT_TRUE(readSpoken("picture 8 x 10 on wall D", jobWith({}), {}));
}

TEST(AtHome, ABedIsAsLongAsItIsDeepAndItsNightstandsStayAtItsHead) {
    const auto job = jobWith({"queen bed against wall B", "a nightstand each side of queen bed"});
    const auto longer = afterSaying(job, "make the bed 4 longer");
    EXPECT_NEAR(longer.scheme().byName("Queen bed")->size.depth.inInches(), 88, 1e-9);
    EXPECT_NEAR(placedAt(longer, "Nightstand").x, 240 - 9, 0.02);
    const auto shorter = afterSaying(job, "make the bed 76 deep");
    EXPECT_NEAR(placedAt(shorter, "Nightstand").x, 240 - 9, 0.02);
    EXPECT_NEAR(placedAt(shorter, "Nightstand 2").x, 240 - 9, 0.02);
    const auto both = afterSaying(job, "bed 80 long, 60 wide");
    EXPECT_NEAR(both.scheme().byName("Queen bed")->size.depth.inInches(), 80, 1e-9);
    EXPECT_NEAR(both.scheme().byName("Queen bed")->size.width.inInches(), 60, 1e-9);
    // One in the middle of what it stands by stays there.
    const auto sofa = jobWith({"sofa against wall B", "side table left of sofa"});
    const auto deeper = afterSaying(sofa, "make the sofa 6 deeper");
    EXPECT_NEAR(placedAt(deeper, "Side table").x, placedAt(deeper, "Sofa").x, 0.02);
}

TEST(AtHome, ByABayThatHasNoWindows) {
    const auto job = jobWith({}, "units cm\nroom R\nceiling 260\nwall A 480\nwall B 410\n bay 105 "
                                 "from left, 200 wide, 60 deep\nwall C 480\nwall D 410\n");
    const auto plant = afterSaying(job, "tall plant beside the bay window");
    // Beside its mouth, which is from 105 to 305 of 410.
    const Vec2 at = poseOf(plant, "Tall plant").at / 10;
    EXPECT_TRUE(std::abs(at.y - (105 - 40)) < 0.1 || std::abs(at.y - (305 + 40)) < 0.1) << at.y;
    const auto sofa = afterSaying(job, "settee in front of the bay");
    EXPECT_NEAR(poseOf(sofa, "Sofa").at.y / 10, 205, 0.1);
    const auto curtains = afterSaying(job, "curtains across the bay");
    EXPECT_GT(curtains.scheme().byName("Curtains")->size.width.mm(), 2000);
}

TEST(AtHome, BenchesTakeThePlaceOfChairs) {
    const auto job = jobWith({"dining table 72 x 38 at 120, 90", "seat dining table with 6"});
    const auto side = afterSaying(job, "bench on the window side instead of the chairs");
    EXPECT_EQ(side.scheme().pieces.size(), 6U); // the table, four chairs, a bench
    const auto both = afterSaying(job, "replace the chairs with benches");
    EXPECT_EQ(both.scheme().pieces.size(), 3U);
}

TEST(AtHome, WallLightsOverASofaShareItAndHangAtTheirHeight) {
    const auto job = jobWith({"sofa 84 x 36 against wall B"});
    const auto lit = afterSaying(job, "two sconces over the sofa");
    const auto scene = *sceneOf(lit);
    const Vec2 one = scene->byId(lit.scheme().byName("Sconce")->id)->pose.at / 25.4;
    const Vec2 other = scene->byId(lit.scheme().byName("Sconce 2")->id)->pose.at / 25.4;
    EXPECT_NEAR(std::abs(one.x - other.x), 42, 0.02);
    // 68 in to the centre: sconce-height of the rule book.
    EXPECT_NEAR(one.y, 68, 0.02);
}

TEST(AtHome, WhatHangsOverAFireKeepsClearOfItsOpening) {
    // The opening is 34 high; a television's usual foot is at 29.5, a picture's at 49.5.
    const char* notes =
        "room R\nceiling 9'\nwall A 20'\n fireplace 7' from left, 6' wide, 14 deep, "
        "fire 36, lintel 34\nwall B 15'\nwall C 20'\nwall D 15'\n";
    const auto job = jobWith({}, notes);
    const auto footOf = [](const Project& with, const char* name) {
        const Piece* p = with.scheme().byName(name);
        return (poseOf(with, name).at.y - p->size.height.mm() / 2) / 25.4;
    };
    // 12 in over it: IRC R1001.11 has combustible trim no nearer than that (from memory).
    EXPECT_NEAR(footOf(afterSaying(job, "tv above the fireplace"), "Wall screen"), 34 + 12, 0.01);
    EXPECT_NEAR(footOf(afterSaying(job, "picture above the fireplace"), "Picture"), 58.5 - 9, 0.01);
    // A height that is said holds.
    EXPECT_NEAR(footOf(afterSaying(job, "tv above the fireplace, bottom at 40"), "Wall screen"), 40,
                0.01);
}

TEST(AtHome, WhereBothSidesAreBeforeADoorThatIsToldAndElseTheOtherIsTaken) {
    // The door's leaf sweeps the floor right of the sofa's left end, as one faces it.
    const auto job = jobWith({"sofa 84 x 36 against wall C, 60 from left corner"});
    const auto told = toldBySaying(job, "side table");
    EXPECT_EQ(told.find("before door"), std::string::npos) << told;
    EXPECT_TRUE(tellsOf(told, "of Sofa")) << told;
}
