// What a sentence means on a job, by what stands there: told in one way, or left alone.
#include "speech/meant.h"

#include "jobs.h"
#include "speech/speech.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project studyAndBed() {
    return jobWith({"bookcase 36 x 12 x 84 called Left bookcase against wall B, 30 from corner AB",
                    "bookcase 36 x 12 x 84 called Right bookcase against wall B, 90 from corner AB",
                    "desk 60 x 30 at 8', 4', facing wall C", "queen bed against wall D",
                    "picture 40 x 30 called Field above queen bed",
                    "picture 16 x 20 called Mill on wall C, at 15', 58", "floor lamp beside desk"});
}

std::vector<std::string> meant(const char* line) {
    return asMeant(line, studyAndBed());
}

/// The line read as one would say it, or why not.
std::string heard(const Project& job, const char* line) {
    const auto spoken = readSpoken(line, job, {});
    if (!spoken)
        return "refused: " + spoken.problem().what;
    return spoken->is == Spoken::Is::answer ? spoken->answer.words : spoken->said.preview;
}

} // namespace

TEST(Meant, IsNothingWhereNothingOfTheKindIsSaid) {
    for (const char* line :
         {"", "sofa against wall A", "move desk 6 left", "what is wrong?", "rug 9x12 under desk",
          "picture 20 x 16 on wall A", "the", "the one", "between", "zzzz zzzz zzzz", ",,, ,"})
        EXPECT_TRUE(meant(line).empty()) << line << ": " << meant(line).front();
}

TEST(Meant, TheRightOneIsOfTheKindThatWasNamed) {
    EXPECT_EQ(meant("another bookcase next to the right one").front(),
              "another bookcase next to the right bookcase");
    EXPECT_EQ(meant("turn the left bookcase, then raise the right one").front(),
              "turn the left bookcase, then raise the right bookcase");
    EXPECT_TRUE(meant("the left one").empty()) << "no kind is named before it";
}

TEST(Meant, BetweenTheTwoIsBetweenThoseThereAre) {
    EXPECT_EQ(meant("another bookcase between the two").front(),
              "add bookcase between Left bookcase and Right bookcase");
    EXPECT_EQ(meant("put a bookcase between them").front(),
              "add bookcase between Left bookcase and Right bookcase");
    EXPECT_TRUE(meant("a desk between the two").empty()) << "there is one desk";
    EXPECT_TRUE(meant("a sofa between both").empty()) << "there is no sofa";
}

TEST(Meant, InsteadOfAnotherOneIsInsteadOfWhatServesTheSame) {
    EXPECT_EQ(meant("a king bed instead of the small one").front(),
              "replace Queen bed by king bed");
    EXPECT_TRUE(meant("a wide bookcase instead of the narrow one").empty())
        << "there are two bookcases";
    EXPECT_TRUE(meant("a sofa instead of the old one").empty());
}

TEST(Meant, TheSameSizeIsThatOfTheThingNamed) {
    EXPECT_EQ(meant("make the desk the same width as the queen bed").front(),
              "make the desk 5' 2\" wide");
    EXPECT_EQ(meant("make the bookcases as tall as the door").front(),
              "make the bookcases 6' 8\" tall");
    EXPECT_EQ(meant("make mill the same size as desk").front(), "make mill 5' 0\" x 2' 6\"");
    // The glass of a window has a width and a height, and no depth.
    EXPECT_EQ(meant("make mill as wide as the window").front(), "make mill 5' 0\" wide");
    EXPECT_EQ(meant("make mill as high as the window").front(), "make mill 4' 0\" tall");
    EXPECT_TRUE(meant("make mill as deep as the window").empty());
    EXPECT_TRUE(meant("make mill as wide as the moon").empty());
}

TEST(Meant, WhatIsToldByItsPlaceIsOneThatIsThere) {
    EXPECT_EQ(meant("is the picture over the queen bed too high?").front(), "is Field too high?");
    EXPECT_EQ(meant("move the lamp by the desk to the corner").front(),
              "move Floor lamp to the corner");
    EXPECT_TRUE(meant("move the picture over the desk").empty()) << "none hangs there";
    EXPECT_TRUE(meant("move the sofa by the desk").empty()) << "there is no sofa";
}

TEST(Meant, TwoAtOnePlaceAreNoneOfThem) {
    auto job = jobWith({"sofa 84 x 36 against wall A", "picture 12 x 16 called One above sofa",
                        "picture 12 x 16 called Two, 2 right of one"});
    EXPECT_TRUE(asMeant("lower the picture over the sofa 2", job).empty());
}

TEST(Meant, AnEndOfATopIsALittleFromIt) {
    EXPECT_EQ(meant("table lamp on the desk, left corner").front(),
              "table lamp on Desk, 2\" from left end");
    EXPECT_EQ(meant("table lamp on the desk, at the back right").front(),
              "table lamp on Desk, 2\" from right end, 2\" from back edge");
    const auto metric = jobWith({"units cm", "desk 150 x 75 at 240, 120"});
    EXPECT_EQ(asMeant("table lamp on the desk, left", metric).front(),
              "table lamp on Desk, 5 cm from left end");
    EXPECT_TRUE(meant("table lamp on the floor lamp, left").empty()) << "it has no top";
}

TEST(Meant, EverythingOnAWallIsWhatStandsAndHangsThere) {
    EXPECT_EQ(meant("remove everything on wall B").front(), "remove Left bookcase, Right bookcase");
    EXPECT_EQ(meant("remove everything against the wall with the door").front(), "remove Mill");
    EXPECT_TRUE(meant("remove everything on wall A").empty());
    EXPECT_TRUE(meant("remove everything on wall Q").empty());
}

TEST(Meant, AHeadboardIsTheBeds) {
    EXPECT_EQ(meant("how far is field from the headboard?").front(),
              "how far is field from the Queen bed?");
    auto two = jobWith({"queen bed against wall D", "single bed against wall B"});
    EXPECT_TRUE(asMeant("picture above the headboard", two).empty());
    EXPECT_TRUE(asMeant("picture above the headboard", jobWith({})).empty());
}

TEST(Meant, IsHeardWhereTheLineItselfIsNot) {
    const auto job = studyAndBed();
    const auto far = heard(job, "how far is field from the headboard?");
    EXPECT_EQ(far.find("refused"), std::string::npos) << far;
    const auto taller = heard(job, "make the bookcases as tall as the door");
    EXPECT_NE(taller.find("Left bookcase 36 x 12 x 80"), std::string::npos) << taller;
    EXPECT_NE(taller.find("Right bookcase 36 x 12 x 80"), std::string::npos) << taller;
}

// ---- what is asked about first ----

TEST(AsksFirst, WhatIsMovedThroughAWall) {
    const auto job = jobWith({"desk 60 x 30 at 8', 5', facing wall C"});
    const auto asked = readSpoken("move desk 20' toward wall A", job, {});
    ASSERT_FALSE(asked);
    EXPECT_TRUE(asksFirst(asked.problem()));
    EXPECT_NE(asked.problem().what.find("Desk"), std::string::npos) << asked.problem().what;
    EXPECT_TRUE(readSpoken("move desk 20' toward wall A anyway", job, {}));
    const auto other = readSpoken("move desk against walll A", job, {});
    ASSERT_FALSE(other);
    EXPECT_FALSE(asksFirst(other.problem())) << "a slip of the keys is no such question";
}

TEST(AsksFirst, WhatCantGoAlongStaysAndIsTold) {
    // The chair behind the desk has no room between that and the wall.
    const auto job = jobWith({"desk 60 x 30 at 8', 5', facing wall C", "desk chair behind desk"});
    const Pose was = poseOf(job, "Desk chair");
    const auto said = readSpoken("move desk against wall A", job, {});
    ASSERT_TRUE(said) << said.problem().text();
    EXPECT_NE(said->said.preview.find("Desk chair stays where it is"), std::string::npos)
        << said->said.preview;
    const auto done = apply(job, said->said.edit);
    ASSERT_TRUE(done);
    EXPECT_EQ(poseOf(*done->project, "Desk chair").at, was.at);
    EXPECT_NE(poseOf(*done->project, "Desk").at, poseOf(job, "Desk").at);
    EXPECT_EQ(said->said.them.size(), 1U) << "“it” is the desk alone";
}

TEST(AsksFirst, WhatWouldStandInWhatStaysIsAskedAbout) {
    // Half of the chairs can't go along, and the others would stand in them.
    const auto job = jobWith({"dining table 72 x 40 at 10', 7'", "6 chairs around dining table"});
    const auto said = readSpoken("move dining table 57 toward wall A", job, {});
    ASSERT_FALSE(said) << said->said.preview;
    EXPECT_TRUE(asksFirst(said.problem())) << said.problem().text();
}

TEST(AsksFirst, ARugThatGoesAlongIsToldAndNotAskedAbout) {
    const auto job = jobWith({"sofa 84 x 36 at 10', 7'", "rug 120 x 96 under sofa"});
    const auto done = readSpoken("move sofa against wall A", job, {});
    ASSERT_TRUE(done) << done.problem().text();
    EXPECT_NE(done->said.preview.find("Rug goes through wall A"), std::string::npos)
        << done->said.preview;
    // Moved itself it is asked about.
    const auto rug = readSpoken("move rug 6' toward wall A", job, {});
    ASSERT_FALSE(rug);
    EXPECT_TRUE(asksFirst(rug.problem())) << rug.problem().what;
}

TEST(AsksFirst, NotOfWhatWentThroughBefore) {
    const auto job = jobWith({"desk 60 x 30 at 8', 5', facing wall C", "desk chair behind desk",
                              "console 48 x 12 at 3', 2in"});
    const auto said = readSpoken("move desk 2 left", job, {});
    EXPECT_TRUE(said) << said.problem().text();
    EXPECT_TRUE(readSpoken("rename console to hall console", job, {}));
}

TEST(AsksFirst, AsItWasSaidWhereOtherWordsWereNeeded) {
    const auto job = jobWith({"round table 48 at 3' 6\", 7'", "seat round table with 4"});
    const std::string line = "extend the round table to 10 feet";
    const auto asked = readSpoken(line, job, {});
    ASSERT_FALSE(asked);
    EXPECT_TRUE(asksFirst(asked.problem())) << asked.problem().text();
    EXPECT_EQ(asked.problem().column, 1);
    EXPECT_EQ(asked.problem().width, static_cast<int>(line.size()));
}

// ---- the other of a pair ----

TEST(OtherOfAPair, IsAnotherWhereOneStandsOnTheOtherSide) {
    const auto job = jobWith({"queen bed against wall D", "nightstand left of bed"});
    for (const char* line : {"nightstand right of bed", "nightstand to the right of the bed",
                             "put nightstand on the right side of bed"})
        EXPECT_EQ(heard(job, line).substr(0, 17), "Adds Nightstand 2") << heard(job, line);
    for (const char* line :
         {"move nightstand right of bed", "the nightstand right of bed", "nightstand left of bed"})
        EXPECT_EQ(heard(job, line).find("Adds"), std::string::npos) << heard(job, line);
}

TEST(OtherOfAPair, IsNotWhatHasANameOfItsOwn) {
    const auto job = jobWith({"queen bed against wall D", "nightstand called Hers left of bed"});
    EXPECT_EQ(heard(job, "hers right of bed").find("Adds"), std::string::npos);
}
