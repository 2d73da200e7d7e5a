// The sides of walls, recesses and ways in as one says them; that no figure is lost; and what is on
// tops. Places are worked by hand from the tape notes.
#include "edit/landing.h"
#include "speech/speech.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

// Metric: the alcove's back is 40 behind wall D's face, its middle 210 from where D begins.
const char* nookNotes() {
    return "room Nook\nunits cm\nceiling 250\nwall A 420\n window 60 from left, 120 wide, 120 "
           "high, "
           "sill 90\nwall B 380\nwall C 420\n door 20 from left, 82 wide, 204 high, hinge left, "
           "swings in, to Garden\n opening 250 from left, 110 wide, 204 high, to Kitchen\nwall D "
           "380\n "
           "alcove 150 from left, 120 wide, 40 deep\n";
}

bool holdsIn(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}
std::string told(const Project& job, const std::string& line, const Listener& to = {}) {
    const auto said = readSpoken(line, job, to);
    if (!said)
        return "refused: " + said.problem().text();
    return said->is == Spoken::Is::answer ? "answer: " + said->answer.words : said->said.preview;
}
Project leftBy(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    return said ? *apply(job, said->said.edit)->project : job;
}
double alongA(const Project& job, const char* name) {
    return poseOf(job, name).at.x;
}

} // namespace

TEST(SideOfAWall, IsTheMiddleOfThatHalfOrItsEnd) {
    const auto job = jobWith({});
    // Wall A is 240 inches long: the middle of its right half is at 180, and a desk is 54 wide.
    for (const char* line :
         {"desk on the right side of wall A", "desk against wall A, to the right",
          "desk on wall A, more to the right"})
        EXPECT_NEAR(alongA(leftBy(job, line), "Desk") / 25.4, 180, 0.01) << line;
    EXPECT_NEAR(alongA(leftBy(job, "desk on the left end of wall A"), "Desk") / 25.4, 27, 0.01);
    EXPECT_NEAR(alongA(leftBy(job, "desk on wall A near the right corner"), "Desk") / 25.4,
                240 - 27, 0.01);
    // What stands there is kept clear of, within that half.
    const auto taken =
        jobWith({"sideboard 60 x 18 x 34 against wall A, centred on wall A, 60 left"});
    const auto with = leftBy(taken, "bench 40 x 16 on the left side of wall A");
    EXPECT_TRUE(overlapOf(**sceneOf(with), with.scheme().byName("Bench")->id).empty());
    EXPECT_LT(alongA(with, "Bench") / 25.4, 120);
}

TEST(Recess, WhatIsPutInAnAlcoveHasItsBackToTheBackOfThat) {
    const auto job = jobWith({}, nookNotes());
    const auto with = leftBy(job, "desk 100 x 50 in the alcove");
    const Pose desk = poseOf(with, "Desk");
    // Wall D runs back along x = 0 from its start at y = 380.
    EXPECT_NEAR(desk.at.x, -400 + 250, 0.01);
    EXPECT_NEAR(desk.at.y, 3800 - 2100, 0.01);
    EXPECT_NEAR(desk.front().x, 1, 1e-9);
    EXPECT_TRUE(holdsIn(told(job, "how wide is the alcove?"), "120 cm wide and 40 cm deep"));
    const auto wide = readSpoken("wardrobe 180 wide in the alcove", job, {});
    ASSERT_FALSE(wide);
    EXPECT_TRUE(asksFirst(wide.problem()));
}

TEST(WaysIn, AreCalledByWhatTheyLeadTo) {
    const auto job = jobWith({}, nookNotes());
    EXPECT_TRUE(holdsIn(told(job, "is there a clear path from the kitchen to the garden?"),
                        "from opening 1 to door 1"));
    EXPECT_TRUE(holdsIn(told(job, "mat by the back door"), "against wall C"));
    const auto ran = leftBy(job, "runner 70 wide from the garden to the kitchen");
    const Piece& runner = *ran.scheme().byName("Runner");
    // The middles of the two are 61 and 305 from where C begins: 244 apart, 10 short at each end.
    EXPECT_NEAR(std::max(runner.size.width, runner.size.depth).mm(), 2240, 10);
}

TEST(Figures, AreNeverLostInOtherWords) {
    const auto job = jobWith({"mirror 24 x 36 above chimney"},
                             "room R\nceiling 8'\nwall A 15'\n chimney 5' from left, 56 wide, 14 "
                             "deep\nwall B 12'\nwall C 15'\nwall D 12'\n");
    const Listener it = listening(job.scheme().byName("Mirror")->id);
    const auto said = readSpoken("lower it so it is 4 inches above the mantel", job, it);
    EXPECT_FALSE(said) << said->said.preview; // and not "lower it"
    EXPECT_TRUE(
        readSpoken("chest of drawers, 3 drawers, on wall C", job, {})); // tells nothing more
}

TEST(Tops, WhatStandsInSomethingOnATopIsTold) {
    const auto job =
        jobWith({"media console 60 x 18 x 24 against wall A", "table lamp on media console"});
    EXPECT_TRUE(holdsIn(told(job, "television on media console"), "stands in Table lamp"));
    // An end has a top's end, and is on it.
    const auto vase = leftBy(job, "vase on the left end of the media console");
    EXPECT_TRUE(vase.scheme().byName("Vase")->on.isCarried());
    const Listener lamp = listening(job.scheme().byName("Table lamp")->id);
    EXPECT_TRUE(holdsIn(told(job, "vase on the right end of it", lamp), "on Media console"));
}

TEST(Chairs, ThatAreTuckedInMeetNoOther) {
    const auto job = jobWith({"round table 42 called Supper table at 10', 7'",
                              "seat supper table with 4", "hanging chair in corner DA"});
    auto out = leftBy(job, "pull the chairs out a foot");
    EXPECT_EQ(poseOf(out, "Hanging chair").at.x, poseOf(job, "Hanging chair").at.x);
    const auto in = leftBy(out, "tuck the chairs in");
    const auto scene = *sceneOf(in);
    for (const Piece& p : in.scheme().pieces)
        if (p.kind->role == Role::diningChair)
            EXPECT_EQ(overlapOf(*scene, p.id), "") << p.name;
}

TEST(Again, ALittleMoreIsOfWhatWasChanged) {
    const auto job = jobWith({"sofa 84 x 36 against wall D, centred on wall D"});
    Listener to = listening(job.scheme().byName("Sofa")->id);
    to.before = "move the sofa 6 toward wall B";
    EXPECT_TRUE(holdsIn(told(job, "a little more", to), "Moves Sofa 6"));
    to.before = "add a sofa";
    EXPECT_TRUE(told(job, "a little more", to).starts_with("refused"));
    EXPECT_TRUE(saysAgain("Again"));
    EXPECT_TRUE(saysAgain("a bit more"));
    EXPECT_FALSE(saysAgain("more chairs"));
}

TEST(Distances, ASofaAcrossTheRoomIsNotUnderTheScreenItFaces) {
    // The sofa's front is 180 - 36 = 144 from wall D's face, the screen 3 deep.
    const auto job = jobWith({"sofa 84 x 36 against wall B, centred on wall B",
                              "wall screen 57 x 33 x 3 on wall D, centred on wall D"});
    EXPECT_TRUE(holdsIn(told(job, "how far is the sofa from the tv?"), "answer: 201\""))
        << told(job, "how far is the sofa from the tv?");
}
