// What people say of their own accord: how many, sizes before the noun, beside what is in a wall,
// and what a line is told to do besides.
#include "geometry/gap.h"
#include "jobs.h"

#include <gtest/gtest.h>

#include <algorithm>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* notes() {
    return "wall A 20'\n window 7' 6\" from left, 5' wide, 4' high, sill 32\nwall B 15'\n"
           "wall C 20'\n door 2' from left, 32 wide, 80 high, hinge right, swings in\nwall D 15'\n";
}

Project with(const std::vector<std::string>& lines) {
    return jobWith(lines, notes());
}

std::string preview(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    EXPECT_TRUE(said) << line << ": " << said.problem().text();
    return said ? said->preview : std::string();
}

/// Inches along a wall from its left end, seen from inside.
double along(const Project& job, int wall, const char* name) {
    const auto scene = sceneOf(job);
    const Wall& w = job.room->walls[static_cast<std::size_t>(wall)];
    const Piece& p = *job.scheme().byName(name);
    const Vec2 at = (*scene)->byId(p.id)->pose.at;
    return (p.onWall() ? at.x : dot(at - w.start, w.along())) / 25.4;
}

double wide(const Project& job, const char* name) {
    return job.scheme().byName(name)->size.width.mm() / 25.4;
}
double deep(const Project& job, const char* name) {
    return job.scheme().byName(name)->size.depth.mm() / 25.4;
}

} // namespace

TEST(PlainSpeech, SizesStandBeforeTheNounOrByTheirLetters) {
    EXPECT_DOUBLE_EQ(wide(with({"a 90 inch sofa"}), "Sofa"), 90);
    const auto both = with({"an 84 x 38 sofa against wall D"});
    EXPECT_DOUBLE_EQ(wide(both, "Sofa"), 84);
    EXPECT_DOUBLE_EQ(deep(both, "Sofa"), 38);
    for (const char* line : {"sofa W80 D37 H33", "sofa 37 deep, 80 wide and 33 high"}) {
        const auto job = with({line});
        EXPECT_DOUBLE_EQ(wide(job, "Sofa"), 80) << line;
        EXPECT_DOUBLE_EQ(deep(job, "Sofa"), 37) << line;
        EXPECT_NEAR(job.scheme().byName("Sofa")->size.height.mm() / 25.4, 33, 1e-9) << line;
    }
    EXPECT_DOUBLE_EQ(deep(with({"80 wide, 37 deep sofa"}), "Sofa"), 37);
    const auto round = with({"a 54 round table"});
    ASSERT_EQ(round.scheme().pieces.size(), 1U);
    EXPECT_NEAR(round.scheme().pieces.front().size.width.mm() / 25.4, 54, 1e-9);
    EXPECT_EQ(round.scheme().pieces.front().footprint.form, FootprintForm::oval);
}

TEST(PlainSpeech, ASmallFigureBeforeOneThingIsAskedAbout) {
    EXPECT_NE(refusal(with({}), "2 sofa").what.find("how many, or how wide"), std::string::npos);
    EXPECT_NE(refusal(with({}), "sofa W84, 80 wide").what.find("said twice"), std::string::npos);
}

TEST(PlainSpeech, ARugOfNineByTwelveIsInFeetAndToldSo) {
    const auto job = with({"9x12 rug"});
    EXPECT_DOUBLE_EQ(wide(job, "Rug"), 108);
    EXPECT_DOUBLE_EQ(deep(job, "Rug"), 144);
    EXPECT_NE(preview(with({}), "rug 8 x 10").find("8 x 10 is taken in feet"), std::string::npos);
    EXPECT_DOUBLE_EQ(wide(with({"rug 9\" x 12\""}), "Rug"), 9); // said so
    EXPECT_DOUBLE_EQ(wide(with({"rug 30 x 50"}), "Rug"), 30);
}

TEST(PlainSpeech, FiguresOfAnotherUnitAreAskedAbout) {
    EXPECT_NE(refusal(with({}), "rug 400 x 300").what.find("longer than the room"),
              std::string::npos);
    EXPECT_NEAR(wide(with({"rug 400 x 300 cm"}), "Rug"), 400 / 2.54, 1e-6);
}

TEST(PlainSpeech, OneUnitIsOfAllFigures) {
    const auto metres = with({"rug 2.4 x 3 m"});
    EXPECT_NEAR(metres.scheme().byName("Rug")->size.width.mm(), 2400, 1e-6);
    EXPECT_NEAR(metres.scheme().byName("Rug")->size.depth.mm(), 3000, 1e-6);
    EXPECT_NEAR(with({"sofa 2.1 x 0.9 x 0.8 m"}).scheme().byName("Sofa")->size.width.mm(), 2100,
                1e-6);
    EXPECT_DOUBLE_EQ(wide(with({"rug 9 x 12 feet"}), "Rug"), 108);
    EXPECT_DOUBLE_EQ(wide(with({"rug 9 x 12'"}), "Rug"), 108);
    EXPECT_DOUBLE_EQ(wide(with({"rug 30\" x 5'"}), "Rug"), 30); // each its own
    EXPECT_DOUBLE_EQ(wide(with({"rug 60 x 8' 2\""}), "Rug"), 60);
}

TEST(PlainSpeech, SeveralAreEachPlaced) {
    const auto pair = with({"two armchairs 30 x 33 against wall A, 20 from corner DA"});
    ASSERT_EQ(pair.scheme().pieces.size(), 2U);
    // A side table's width between seats: 24 in, common practice.
    EXPECT_NEAR(std::abs(along(pair, 0, "Armchair 2") - along(pair, 0, "Armchair")), 54, 1e-6);
    const auto row = with({"three pictures 10 x 12 in a row, 2 apart, on wall C"});
    ASSERT_EQ(row.scheme().pieces.size(), 3U);
    EXPECT_NEAR(along(row, 2, "Picture 2") - along(row, 2, "Picture"), 12, 1e-6);
    EXPECT_NEAR(along(row, 2, "Picture 3") - along(row, 2, "Picture 2"), 12, 1e-6);
    const auto last = with({"3 pictures 10 x 12 on wall C, 5 apart"});
    EXPECT_NEAR(along(last, 2, "Picture 3") - along(last, 2, "Picture 2"), 15, 1e-6);
    const auto round =
        with({"round table 60 called supper table at 14', 9'", "6 chairs around the supper table"});
    EXPECT_EQ(round.scheme().pieces.size(), 7U);
    EXPECT_NE(refusal(with({}), "three lamps either side of window 1").what.find("two of them"),
              std::string::npos);
    EXPECT_NE(refusal(with({}), "99 armchairs").what.find("more than"), std::string::npos);
}

TEST(PlainSpeech, SeveralAreCalledAlikeAndRefusedInWords) {
    const auto job = with({"two armchairs against wall A called guest"});
    EXPECT_NE(job.scheme().byName("guest"), nullptr);
    EXPECT_NE(job.scheme().byName("guest 2"), nullptr);
    EXPECT_EQ(refusal(job, "two").what, "of what?");
    EXPECT_NE(refusal(job, "guest against wall B, 5 apart").what.find("only several"),
              std::string::npos);
    EXPECT_DOUBLE_EQ(deep(with({"two armchairs 30 wide, 35 deep"}), "Armchair 2"), 35);
    EXPECT_NE(refusal(job, "two pendants").what.find("where does the row go"), std::string::npos);
    EXPECT_NE(refusal(job, "two rugs 5x8").what.find("one by one"), std::string::npos);
    EXPECT_EQ(refusal(job, "replace guest by").what, "by what?");
}

TEST(PlainSpeech, EitherSideOfWhatIsInAWall) {
    // The window stands 90 to 150 in from the left.
    for (const char* line :
         {"two bookcases 36 x 12 either side of window 1", "bookcases either side of the window"}) {
        const auto job = with({line});
        ASSERT_EQ(job.scheme().pieces.size(), 2U) << line;
        EXPECT_NEAR(along(job, 0, "Bookcase"), 90 - 18, 1e-6) << line;
        EXPECT_NEAR(along(job, 0, "Bookcase 2"), 150 + 18, 1e-6) << line;
    }
}

TEST(PlainSpeech, BesideWhatIsInAWall) {
    EXPECT_NEAR(along(with({"armchair 30 x 33, 6 left of window 1"}), 0, "Armchair"), 90 - 6 - 15,
                1e-6);
    EXPECT_NEAR(
        along(with({"armchair 30 x 33 against wall A, 6 right of window 1"}), 0, "Armchair"),
        150 + 6 + 15, 1e-6);
    // The door stands 24 to 56 in from the left of wall C; there is more wall on its right.
    EXPECT_NEAR(along(with({"armchair 30 x 33 by the door"}), 2, "Armchair"), 56 + 15, 1e-6);
    EXPECT_NE(refusal(with({}), "sofa left of door 1").what.find("no room"), std::string::npos);
}

TEST(PlainSpeech, ANounIsEnoughWhenOneThingIsMeant) {
    const auto one = with({"coffee table at 10', 7'", "armchair 10 left of the table"});
    EXPECT_EQ(one.scheme().pieces.size(), 2U);
    const auto two = with({"coffee table at 10', 7'", "side table at 4', 4'"});
    EXPECT_NE(refusal(two, "armchair 10 left of the table").what.find("Coffee table or Side table"),
              std::string::npos);
}

TEST(PlainSpeech, ThePreviewTellsWhatElseMoves) {
    const auto job = with(
        {"sofa against wall A, centred on wall A", "coffee table 16 from sofa, centred on sofa"});
    EXPECT_NE(preview(job, "move sofa 10 left").find("moves Coffee table too"), std::string::npos);
    EXPECT_EQ(preview(job, "move coffee table 2 left").find("too"), std::string::npos);
}

TEST(PlainSpeech, WhatOnlyLooksAtAThingStandsFreeBeforeIt) {
    const auto job = with({"sofa 84 x 36 against wall D, centred on wall D", "armchair facing sofa",
                           "armchair facing window 1"});
    const auto scene = *sceneOf(job);
    for (const Piece& p : job.scheme().pieces)
        for (const Piece& q : job.scheme().pieces)
            if (p.id < q.id)
                EXPECT_GE(gapBetween(scene->byId(p.id)->shape, scene->byId(q.id)->shape).apart.mm(),
                          1)
                    << p.name << ", " << q.name;
    EXPECT_EQ(preview(job, "armchair facing door 1").find("through"), std::string::npos);
    EXPECT_NE(preview(job, "move armchair 6 closer to sofa").find("6\" toward wall D"),
              std::string::npos);
}

TEST(PlainSpeech, ThePreviewTellsOfAWallInTheWay) {
    const auto job = with({"coffee table 48 x 26 at 10', 7'"});
    // From 7 ft off wall A to a middle 6 in from it, 13 deep on that side.
    EXPECT_NE(preview(job, "move coffee table 78 toward wall A").find("through wall A"),
              std::string::npos);
    EXPECT_NE(preview(job, "move coffee table 200 toward wall A").find("beyond wall A"),
              std::string::npos);
    EXPECT_EQ(preview(job, "move coffee table 60 toward wall A").find("wall A,"),
              std::string::npos);
    EXPECT_NE(preview(job, "sofa at 10', 0").find("through wall A"), std::string::npos);
}

TEST(PlainSpeech, AllOfAKindGo) {
    const auto job = with({"armchair at 4', 4'", "armchair at 8', 4' called one more",
                           "sofa against wall C", "remove the armchairs"});
    ASSERT_EQ(job.scheme().pieces.size(), 1U);
    EXPECT_EQ(job.scheme().pieces.front().name, "Sofa");
}

TEST(PlainSpeech, SwappedThingsTakeEachOthersTies) {
    const std::vector<std::string> lines{"sideboard against wall D, 10 from corner CD",
                                         "low bookcase against wall B, 20 from corner BC"};
    auto said = lines;
    said.emplace_back("swap sideboard and low bookcase");
    const auto before = with(lines);
    const auto after = with(said);
    EXPECT_EQ(after.scheme().byName("Sideboard")->ties,
              before.scheme().byName("Low bookcase")->ties);
    EXPECT_EQ(after.scheme().byName("Low bookcase")->ties,
              before.scheme().byName("Sideboard")->ties);
    EXPECT_FALSE(refusal(before, "swap sideboard and sideboard").what.empty());
    auto held = lines;
    held.emplace_back("lock sideboard");
    EXPECT_NE(refusal(with(held), "swap sideboard and low bookcase").what.find("locked"),
              std::string::npos);
}

TEST(PlainSpeech, AReplacedThingLeavesItsTies) {
    const auto job =
        with({"sofa against wall A, centred on wall A",
              "coffee table 16 from sofa, centred on sofa", "replace sofa by a loveseat"});
    const Piece* seat = job.scheme().byName("Loveseat");
    ASSERT_NE(seat, nullptr);
    EXPECT_DOUBLE_EQ(seat->size.width.mm() / 25.4, 60);
    EXPECT_NEAR(along(job, 0, "Loveseat"), 120, 1e-6);
    EXPECT_NEAR(along(job, 0, "Coffee table"), 120, 1e-6);
    EXPECT_FALSE(refusal(job, "replace loveseat by a chandelier").what.empty());
}

TEST(PlainSpeech, RaisedAndLowered) {
    const auto at = [](const char* line) {
        const auto job = with({"picture 20 x 16 on wall C, at 10', 60 called mill", line});
        return (*sceneOf(job))->byId(job.scheme().byName("mill")->id)->pose.at.y / 25.4;
    };
    EXPECT_NEAR(at("raise mill 3"), 63, 1e-6);
    EXPECT_NEAR(at("lower mill by 4 1/2"), 55.5, 1e-6);
}

TEST(PlainSpeech, TurnedToWhatItLooksAt) {
    const auto job = with({"armchair at 10', 7'", "turn armchair to window 1"});
    const auto& ties = job.scheme().byName("Armchair")->ties;
    EXPECT_TRUE(std::any_of(ties.begin(), ties.end(),
                            [](const Tie& t) { return t.kind == Tie::Kind::facing; }));
    EXPECT_NE(preview(job, "turn armchair around").find("180°"), std::string::npos);
}
