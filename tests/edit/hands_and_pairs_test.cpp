// The hand of a corner sofa, the next size a rug is stocked in, the other of a pair beside what is
// in a wall, sizes behind an opening's name, and what is refused with its reason.
#include "edit/pieces.h"

#include "jobs.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project afterLine(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    return *apply(job, said->edit)->project;
}
std::string previewed(const Project& job, const std::string& line) {
    const auto said = readLine(line, job);
    return said ? said->preview : "refused: " + said.problem().text();
}
const Piece& pieceCalled(const Project& job, const char* name) {
    return *job.scheme().byName(name);
}
const char* hearthNotes() {
    return "room Hearth\nceiling 8'\nwall A 20'\nwall B 15'\n fireplace 5' from left, 5' wide, 4' "
           "high, 12 deep\nwall C 20'\n door 2' from left, 32 wide, 80 high, hinge right, swings "
           "in\nwall D 15'\n";
}

} // namespace

TEST(HandOfACornerSofa, IsSaidAsOneFacesIt) {
    const auto job = jobWith({"corner sofa 108 x 84 in corner AB"});
    const bool right = pieceCalled(job, "Corner sofa").footprint.armOnRight;
    const auto left = afterLine(job, "make corner sofa left-handed");
    EXPECT_FALSE(pieceCalled(left, "Corner sofa").footprint.armOnRight);
    const auto other = afterLine(left, "make corner sofa right handed");
    EXPECT_TRUE(pieceCalled(other, "Corner sofa").footprint.armOnRight);
    const auto turned = afterLine(job, "make corner sofa flipped");
    EXPECT_EQ(pieceCalled(turned, "Corner sofa").footprint.armOnRight, !right);
    EXPECT_NE(
        previewed(left, "make corner sofa flipped").find("return of Corner sofa on the right"),
        std::string::npos);
    // Its place and size stay.
    EXPECT_EQ(pieceCalled(turned, "Corner sofa").size, pieceCalled(job, "Corner sofa").size);
    const auto plain = jobWith({"sofa on wall A"});
    EXPECT_NE(refusal(plain, "make sofa left-handed").what.find("no return"), std::string::npos);
}

TEST(BiggerRug, IsTheNextSizeInStock) {
    // 8 x 10, then 9 x 12: usual sizes of the trade, in feet.
    const auto job = jobWith({"rug 8' x 10' in the middle of the room"});
    const auto larger = afterLine(job, "make rug bigger");
    EXPECT_NEAR(pieceCalled(larger, "Rug").size.width.inInches(), 108, 1e-9);
    EXPECT_NEAR(pieceCalled(larger, "Rug").size.depth.inInches(), 144, 1e-9);
    const auto back = afterLine(larger, "make rug smaller");
    EXPECT_EQ(pieceCalled(back, "Rug").size, pieceCalled(job, "Rug").size);
    // By a figure that is said it is that.
    const auto by = afterLine(job, "make rug 10 bigger");
    EXPECT_NEAR(pieceCalled(by, "Rug").size.width.inInches(), 106, 1e-9);
}

TEST(BiggerPiece, IsInWholeFigures) {
    const auto job = jobWith({"dining table 61 x 37 in the middle of the room"});
    const auto larger = afterLine(job, "make dining table bigger");
    const double halves = pieceCalled(larger, "Dining table").size.depth.inInches() * 2;
    EXPECT_NEAR(halves, std::round(halves), 1e-9);
}

TEST(OtherOfAPair, BesideWhatIsInAWallIsAnother) {
    const auto one = jobWith({"armchair left of fireplace"}, hearthNotes());
    const auto two = afterLine(one, "armchair right of fireplace");
    EXPECT_EQ(two.scheme().pieces.size(), 2U);
    // The one there, where it says so.
    EXPECT_EQ(afterLine(one, "move armchair right of fireplace").scheme().pieces.size(), 1U);
    EXPECT_EQ(afterLine(one, "armchair left of fireplace").scheme().pieces.size(), 1U);
    const auto hung = jobWith({"sconce 6 left of fireplace"}, hearthNotes());
    EXPECT_EQ(afterLine(hung, "sconce right of fireplace").scheme().pieces.size(), 2U);
}

TEST(SizeBehindAnOpening, IsNoNumberOfIt) {
    const auto job = jobWith({});
    // There is no window 72: the figures are the size.
    EXPECT_NE(refusal(job, "sideboard under window 72").what.find("no window 72"),
              std::string::npos);
    EXPECT_EQ(refusal(job, "sideboard under window 72 x 16").what.find("no window 72"),
              std::string::npos);
}

TEST(WhatIsNotThere, IsToldBeforeThatWordsDoNotGoTogether) {
    const auto job = jobWith({});
    EXPECT_EQ(refusal(job, "floor lamp on the console").what, "there is no console yet");
    EXPECT_EQ(refusal(job, "floor lamp on the console").notThere, "console");
}

TEST(AGroup, IsAsLargeAsWhatIsInIt) {
    const auto job = jobWith({"picture 12 x 16 on wall A called One, centre 4' from left corner",
                              "picture 12 x 16 on wall A called Two, centre 6' from left corner",
                              "group One and Two as a row called Pair"});
    EXPECT_NE(refusal(job, "make Pair 4 wider").what.find("as large as what is in it"),
              std::string::npos);
}

TEST(CentredOver, IsOver) {
    const auto job = jobWith({"console 60 x 14 x 32 on wall D"});
    const auto hung = afterLine(job, "mirror 24 x 36 centred over console");
    // 24 and more above the top of 32: its foot is over it.
    EXPECT_GT(poseOf(hung, "Mirror").at.y / 25.4 - 18, 32);
    EXPECT_NEAR(poseOf(hung, "Mirror").at.x / 25.4, 90, 0.01);
}

TEST(CurtainsSoFarOver, ReachDownToWhereTheyEnd) {
    const auto job = jobWith({});
    const auto hung = afterLine(job, "curtains 8 above window 1");
    const Piece& p = hung.scheme().pieces.front();
    // The window's head is at 80: from 88 down to the foot such a kind has.
    EXPECT_NEAR(poseOf(hung, p.name.c_str()).at.y / 25.4 + p.size.height.inInches() / 2, 88, 0.01);
    EXPECT_NEAR(poseOf(hung, p.name.c_str()).at.y / 25.4 - p.size.height.inInches() / 2,
                p.kind->hangAt.inInches(), 0.01);
}

TEST(BetweenBesideAndWall, IsAlongTheWall) {
    // An armchair 30 wide, 30 from the corner, stands 12 and more right of the fireplace's end at
    // 120.
    const auto job = jobWith({"armchair 30 x 30 on wall B, 0 from right corner"}, hearthNotes());
    const auto with = afterLine(job, "side table 16 x 16 between armchair and fireplace");
    // Wall B runs from y = 0: the fireplace ends at 120, the chair begins at 150.
    EXPECT_NEAR(poseOf(with, "Side table").at.y / 25.4, 135, 0.01);
}

TEST(ACopy, CountsOnFromTheNumberOfItsKindAndKeepsANameThatEndsInOne) {
    const auto job = jobWith(
        {"armchair at 60, 60", "another armchair at 120, 60", "bookcase against wall B called Shelf 120"});
    const Scheme& all = job.scheme();
    EXPECT_EQ(nameOfCopy(*all.byName("Armchair 2"), all), "Armchair 3");
    EXPECT_EQ(nameOfCopy(*all.byName("Armchair"), all), "Armchair 3");
    EXPECT_EQ(nameOfCopy(*all.byName("Shelf 120"), all), "Shelf 120 2");
}
