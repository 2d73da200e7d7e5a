// What is told in another order than the line has it, in rows, on a mantel, in place of something
// else, and where a thing goes that would come to harm as its words are usually meant. Places are
// worked by hand from the notes: the plain room is 240 by 180, its window 90 to 150 from the left
// of wall A, its door 24 to 56 from the left of wall C.
#include "spoken_to.h"

#include <cmath>
#include <set>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A fireplace of 60 by 12, 48 high, in wall D, 60 from its left.
constexpr const char* hearthRoom =
    "room Hearth\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n door 2' from left, 32 wide\n"
    "wall D 15'\n fireplace 5' from left, 5' wide, 12 deep, 4' high\n";
/// Two windows of 4' in wall D, 2' and 9' from its left, and one in wall A.
constexpr const char* windowedRoom =
    "room Light\nceiling 8' 6\"\nwall A 20'\n window 7' from left, 6' wide, 4' high, sill 30\n"
    "wall B 15'\n door 1' from left, 32 wide\nwall C 20'\nwall D 15'\n window 2' from left, 4' "
    "wide, 4' high, sill 36\n window 9' from left, 4' wide, 4' high, sill 36\n";
/// In wall B a radiator of 100 ends 220 before the wall does.
constexpr const char* narrowWall =
    "units cm\nroom Narrow\nceiling 250\nwall A 420\nwall B 360\n radiator 40 from left, 100\n"
    "wall C 420\n door 300 from left, 80, to Hall\nwall D 360\n";

double inInches(Length l) {
    return l.mm() / 25.4;
}
/// Of the pieces of a role, the figures of their places on a wall: from its left, and up.
struct HungAt {
    std::set<long> across, up; ///< to the nearest millimetre
};
HungAt hungAt(const Project& job, Role role) {
    HungAt out;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->role == role) {
            const Vec2 at = poseOf(job, p.name.c_str()).at;
            out.across.insert(std::lround(at.x));
            out.up.insert(std::lround(at.y));
        }
    return out;
}
std::size_t howManyOf(const Project& job, const char* kind) {
    std::size_t n = 0;
    for (const Piece& p : job.scheme().pieces)
        n += p.kind->id == kind ? 1 : 0;
    return n;
}

} // namespace

TEST(InRows, AsManyRowsAsAreSaidAndNoOthers) {
    const auto job = jobWith({});
    // Three rows of two are two columns of three, and no three of two.
    for (const char* line : {"six 10 x 12 pictures on wall B in three rows of two",
                             "three rows of two 10 x 12 pictures on wall B",
                             "six 10x12 frames on wall B, three rows, 2 apart"}) {
        const auto hung = afterSaying(job, line);
        const HungAt at = hungAt(hung, Role::art);
        EXPECT_EQ(howManyOf(hung, "picture"), 6U) << line;
        EXPECT_EQ(at.across.size(), 2U) << line;
        EXPECT_EQ(at.up.size(), 3U) << line;
    }
    const auto two =
        hungAt(afterSaying(job, "a 3 x 2 grid of 10 x 12 pictures on wall B"), Role::art);
    EXPECT_EQ(two.across.size(), 3U);
    EXPECT_EQ(two.up.size(), 2U);
    // Pitch: a picture and the gap between, 12 and 14 from middle to middle.
    const auto apart = hungAt(
        afterSaying(job, "four 10 x 12 pictures on wall B in two rows of two, 2 apart"), Role::art);
    ASSERT_EQ(apart.across.size(), 2U);
    EXPECT_NEAR(static_cast<double>(*apart.across.rbegin() - *apart.across.begin()), 12 * 25.4, 1);
    EXPECT_NEAR(static_cast<double>(*apart.up.rbegin() - *apart.up.begin()), 14 * 25.4, 1);
}

TEST(InRows, WhatDoesNotComeOutIsRefused) {
    const auto job = jobWith({});
    EXPECT_TRUE(tellsThat(
        toldBySaying(job, "gallery of six pictures in two rows of four on wall B"), "not 6"));
    EXPECT_TRUE(tellsThat(toldBySaying(job, "gallery of four pictures in 9 rows on wall B"),
                          "don't hang in so many rows"));
}

TEST(OnTheMantel, AShelfIsPutOverTheFireAndTheThingOnIt) {
    const auto job = jobWith({}, hearthRoom);
    const auto clock = afterSaying(job, "clock on the mantel");
    const Piece* shelf = clock.scheme().byName("Mantel shelf");
    ASSERT_NE(shelf, nullptr);
    // As wide and as deep as the fireplace, its top at its top.
    EXPECT_NEAR(inInches(shelf->size.width), 60, 1e-6);
    EXPECT_NEAR(inInches(shelf->size.depth), 12, 1e-6);
    EXPECT_NEAR(poseOf(clock, "Mantel shelf").at.y + shelf->size.height.mm() / 2, 48 * 25.4, 0.01);
    const Piece* stands = clock.scheme().byName("Mantel clock");
    ASSERT_NE(stands, nullptr);
    EXPECT_EQ(stands->on.piece, shelf->id);
    // The next thing goes on the same one.
    const auto both = afterSaying(clock, "two candlesticks on the mantelpiece, one at each end");
    EXPECT_EQ(howManyOf(both, "floating-shelf"), 1U);
    EXPECT_EQ(howManyOf(both, "candlestick"), 2U);
    for (const Piece& p : both.scheme().pieces)
        if (p.kind->id == "candlestick")
            EXPECT_EQ(p.on.piece, shelf->id);
}

TEST(OnTheMantel, WhatNobodyTapedOfTheShelfIsToldAsAssumed) {
    // A breast up to the ceiling tells neither how high its shelf is nor how deep.
    const auto breast = jobWith({}, "room Breast\nceiling 8'\nwall A 20'\nwall B 15'\nwall C 20'\n "
                                    "door 2' from left, 32 wide\nwall D 15'\n breast 5' from left, "
                                    "5' wide, 16 deep\n");
    const auto told = toldBySaying(breast, "clock on the mantel");
    EXPECT_TRUE(tellsThat(told, "its height and depth are assumed")) << told;
    EXPECT_TRUE(tellsThat(told, "then Adds Mantel clock")) << told;
    const auto job = afterSaying(breast, "clock on the mantel");
    const Piece* shelf = job.scheme().byName("Mantel shelf");
    ASSERT_NE(shelf, nullptr);
    EXPECT_TRUE(tellsThat(shelf->reason, "assumed")); // printed with it
    EXPECT_TRUE(job.scheme().byName("Mantel clock")->reason.empty());
    // Of a fireplace both were taped.
    EXPECT_FALSE(
        tellsThat(toldBySaying(jobWith({}, hearthRoom), "clock on the mantel"), "assumed"));
}

TEST(OnTheMantel, WithoutAFireNothingIsPut) {
    EXPECT_TRUE(tellsThat(toldBySaying(jobWith({}), "clock on the mantel"), "refused"));
}

TEST(SizesBehindThePlace, AreThePiecesOwn) {
    const auto job = jobWith({}, hearthRoom);
    const auto cases =
        afterSaying(job, "bookcases either side of the fireplace, 30 wide and 7 feet high");
    ASSERT_EQ(howManyOf(cases, "bookcase"), 2U);
    for (const Piece& p : cases.scheme().pieces) {
        EXPECT_NEAR(inInches(p.size.width), 30, 1e-6);
        EXPECT_NEAR(inInches(p.size.height), 84, 1e-6);
    }
    const auto bed = jobWith({"queen bed against wall A, centred on wall A"});
    const auto runners = afterSaying(bed, "runners either side of the bed, 24 x 72");
    ASSERT_EQ(howManyOf(runners, "runner"), 2U);
    for (const Piece& p : runners.scheme().pieces)
        if (p.kind->flat()) {
            EXPECT_NEAR(inInches(std::min(p.size.width, p.size.depth)), 24, 1e-6);
            EXPECT_NEAR(inInches(std::max(p.size.width, p.size.depth)), 72, 1e-6);
        }
    // Two clauses: the size, and what is between.
    const auto pictures =
        afterSaying(bed, "three pictures over the bed, 16 x 20, 2 inches between");
    const auto at = hungAt(pictures, Role::art);
    ASSERT_EQ(at.across.size(), 3U);
    EXPECT_NEAR(static_cast<double>(*at.across.rbegin() - *at.across.begin()), 36 * 25.4, 1);
}

TEST(EachWindow, OfOneWallAndNoOther) {
    const auto job = jobWith({}, windowedRoom);
    const auto cases = afterSaying(job, "low bookcase under each window on wall D");
    ASSERT_EQ(howManyOf(cases, "low-bookcase"), 2U);
    std::set<long> along;
    for (const Piece& p : cases.scheme().pieces)
        along.insert(std::lround(poseOf(cases, p.name.c_str()).at.y / 25.4));
    // Their middles are 48 and 132 from wall D's left, which is where wall C ends.
    EXPECT_EQ(along, (std::set<long>{132, 48}));
    EXPECT_EQ(howManyOf(afterSaying(job, "curtains on both windows on wall D"), "curtains"), 2U);
}

TEST(Curtains, OnTwoWindowsAreTwo) {
    const auto job = jobWith({}, windowedRoom);
    const auto both = afterSaying(job, "curtains on window 1 and window 2");
    EXPECT_EQ(howManyOf(both, "curtains"), 2U);
}

TEST(ManyOrFew, PluralsOnTopsAreSeveral) {
    const auto job = jobWith({"sofa against wall C", "coffee table 16 in front of Sofa"});
    EXPECT_EQ(howManyOf(afterSaying(job, "cushions on the sofa"), "cushion"), 2U);
    EXPECT_EQ(howManyOf(afterSaying(job, "cushions on the sofa, four of them"), "cushion"), 4U);
    EXPECT_EQ(howManyOf(afterSaying(job, "books on the coffee table"), "books"), 1U);
}

TEST(ManyOrFew, ATableForSoManySeatsThem) {
    const auto job = jobWith({});
    const auto width = [&](const char* line) {
        const auto with = afterSaying(job, line);
        return inInches(with.scheme().byName("Dining table")->size.width);
    };
    EXPECT_NEAR(width("a dining table for four"), 48, 1e-6);
    EXPECT_NEAR(width("a dining table for six"), 72, 1e-6);
    // One at each end and four along each side, with the rule's width of a diner.
    EXPECT_NEAR(width("a dining table for 10"), 4 * 24, 1e-6);
}

TEST(Instead, LightsOfTheLampsAndTwoOfOne) {
    const auto bed = jobWith({"queen bed against wall A, centred on wall A",
                              "two nightstands either side of Queen bed",
                              "table lamp on Nightstand", "a table lamp on Nightstand 2"});
    const auto lit = afterSaying(bed, "sconces instead of lamps, 5 feet off the floor");
    EXPECT_EQ(howManyOf(lit, "table-lamp"), 0U);
    const auto at = hungAt(lit, Role::sconce);
    EXPECT_EQ(at.across.size(), 2U);
    EXPECT_EQ(at.up, (std::set<long>{1524}));
    // Over the two nightstands, which stand 62 + 22 from middle to middle.
    EXPECT_NEAR(static_cast<double>(*at.across.rbegin() - *at.across.begin()), 84 * 25.4, 1);
    const auto dresser = jobWith({"dresser 60 wide against wall C"});
    const auto two = afterSaying(dresser, "replace the dresser with two smaller ones");
    ASSERT_EQ(howManyOf(two, "dresser"), 2U);
    for (const Piece& p : two.scheme().pieces)
        EXPECT_NEAR(inInches(p.size.width), 30, 1e-6);
}

TEST(Instead, WhatIsThereChangesPlacesAndIsNotMadeAnew) {
    const auto job = jobWith({"sofa against wall C", "armchair against wall A, 10 from wall B",
                              "another armchair against wall A, 60 from wall B"});
    // "The sofa" is the one in the room: no second one comes for the chairs.
    EXPECT_TRUE(tellsThat(toldBySaying(job, "swap the armchairs with the sofa"), "refused"));
    EXPECT_EQ(howManyOf(afterSaying(job, "swap the armchairs for a sofa"), "sofa"), 2U);
}

TEST(WithoutHarm, AsTheWordsAreMeantWhereTheyCanBe) {
    // Two wardrobes of 110 fill the 220 behind the radiator.
    const auto job = jobWith({}, narrowWall);
    const auto two = afterSaying(job, "2 wardrobes on wall B");
    ASSERT_EQ(howManyOf(two, "armoire"), 2U);
    std::set<long> along;
    for (const Piece& p : two.scheme().pieces)
        along.insert(std::lround(poseOf(two, p.name.c_str()).at.y));
    EXPECT_EQ(along, (std::set<long>{1950, 3050}));
    // A crib lies along the bed, where across it would go through the wall.
    const auto bed = jobWith({"double bed against wall D, centred on wall D"}, narrowWall);
    const auto crib = afterSaying(bed, "crib beside the bed");
    EXPECT_LT(std::abs(poseOf(crib, "Crib").front().x), 1e-6);
    // A bed faces the door's wall from the one across from it.
    const auto faced = afterSaying(bed, "the bed should face wall A");
    EXPECT_NEAR(poseOf(faced, "Double bed").front().y, -1, 1e-6); // wall A is at y = 0
}

TEST(WithoutHarm, ShelvesThatHaveNoRoomInARowHangOverEachOther) {
    const auto job = jobWith({}, windowedRoom);
    const auto hung = afterSaying(job, "three shelves on wall A right of window 1");
    EXPECT_EQ(hungAt(hung, Role::shelf).across.size(), 1U);
    EXPECT_EQ(hungAt(hung, Role::shelf).up.size(), 3U);
}

TEST(WithoutHarm, AMoveToAWallIsNoMoveToTheOtherOne) {
    const auto bed = jobWith({"double bed against wall D, centred on wall D"}, narrowWall);
    EXPECT_FALSE(tellsThat(toldBySaying(bed, "move the bed to wall B"), "Changes nothing"));
}

TEST(Refused, WhatTheLeafOfADoorCarriesAndWhatIsOnNothing) {
    const auto job = jobWith({"coffee table in the middle of the room"});
    EXPECT_TRUE(
        tellsThat(toldBySaying(job, "mirror on the back of the door"), "a door's leaf moves"));
    EXPECT_TRUE(tellsThat(toldBySaying(job, "take out everything on the coffee table"),
                          "nothing is on Coffee table"));
    EXPECT_TRUE(
        tellsThat(toldBySaying(job, "48 inch coffee table"), "for another one say: a 48 inch"));
}

TEST(SmallRugs, BesideABedAreAsSuchRugsAre) {
    const auto job = jobWith({"queen bed against wall A, centred on wall A"});
    for (const char* line : {"two small rugs beside the bed", "two rugs next to the bed",
                             "two small rugs on either side of the bed"}) {
        const auto after = afterSaying(job, line);
        EXPECT_EQ(howManyOf(after, "bedside-rug"), 2U) << line;
        // 62 is the bed, and 28 each rug: they lie along it, one on each side, their middles 90
        // apart.
        std::vector<Vec2> at;
        for (const Piece& p : after.scheme().pieces)
            if (p.kind->id == "bedside-rug")
                at.push_back(poseOf(after, p.name.c_str()).at);
        ASSERT_EQ(at.size(), 2U) << line;
        EXPECT_NEAR(std::abs(at[0].x - at[1].x) / 25.4, 62 + 28, 1e-6) << line;
    }
    EXPECT_EQ(howManyOf(afterSaying(job, "a small rug by the bed"), "bedside-rug"), 1U);
}

TEST(PrintsOnAWall, AreHungAndNoSculptures) {
    const auto hung = afterSaying(jobWith({}), "three prints on wall D");
    EXPECT_EQ(howManyOf(hung, "picture"), 3U);
    EXPECT_EQ(hungAt(hung, Role::art).up.size(), 1U);
}
