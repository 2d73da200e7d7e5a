// What only begins a line; what is supposed and not done; lines that mean more than their words;
// and what stands before a thing, over it, and must be fixed. Against places worked by hand.
#include "edit/language.h"
#include "speech/meant.h"
#include "speech/spoken_names.h"
#include "speech/unheard.h"
#include "speech/what_if.h"

#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::string toldBy(const Project& job, const std::string& line, const Listener& to = {}) {
    const auto said = readSpoken(line, job, to);
    if (!said)
        return "refused: " + said.problem().text();
    return said->is == Spoken::Is::answer ? "answer: " + said->answer.words : said->said.preview;
}
bool holdsIn(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}
Project saidTo(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, {});
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    return said ? *apply(job, said->said.edit)->project : job;
}

} // namespace

TEST(OpeningWords, AreWhatOnlyBeginsALine) {
    const auto rest = [](std::string_view line) { return line.substr(openingWords(line)); };
    EXPECT_EQ(rest("hm, turn it round"), "turn it round");
    EXPECT_EQ(rest("ok now lower it"), "lower it");
    EXPECT_EQ(rest("actually, no, take it out"), "take it out");
    EXPECT_EQ(rest("Right, sofa on wall A"), "sofa on wall A");
    EXPECT_EQ(rest("right of sofa"), "right of sofa"); // a place
    EXPECT_EQ(rest("nothing"), "nothing");
    EXPECT_EQ(rest("so"), "so"); // nothing follows
    EXPECT_EQ(rest("sofa on wall A"), "sofa on wall A");
}

TEST(OpeningWords, LeaveTheColumnOfWhatIsRefused) {
    const auto job = jobWith({});
    const auto said = readSpoken("hm, sofa on wall Q", job, {});
    ASSERT_FALSE(said);
    EXPECT_EQ(said.problem().column, readSpoken("sofa on wall Q", job, {}).problem().column + 4);
}

TEST(WhatIf, IsTheLineThatWouldDoIt) {
    EXPECT_EQ(supposed("what if I make the table 120?"),
              std::vector<std::string>{"make the table 120"});
    EXPECT_EQ(supposed("what if we moved the sofa to wall C"),
              std::vector<std::string>{"move the sofa to wall C"});
    EXPECT_EQ(supposed("what if there was a bench under the window"),
              std::vector<std::string>{"add a bench under the window"});
    EXPECT_EQ(supposed("what if the sofa was against wall C").at(1),
              "move the sofa against wall C");
    EXPECT_TRUE(supposed("what is wrong?").empty());
}

TEST(WhatIf, ChangesNothingAndTellsWhatWouldBeWrong) {
    const auto job = jobWith({"sofa 84 x 36 on wall A", "coffee table 15 in front of sofa"});
    const auto said = readSpoken("what if I move the coffee table 10 closer to the sofa?", job, {});
    ASSERT_TRUE(said) << said.problem().text();
    EXPECT_EQ(said->is, Spoken::Is::answer);
    EXPECT_TRUE(said->said.edit.acts.empty());
    EXPECT_TRUE(holdsIn(said->answer.words, "If so: Moves Coffee table 10\""))
        << said->answer.words;
    EXPECT_TRUE(holdsIn(said->answer.words, "knees")) << said->answer.words; // 5" is too tight
    // What can't be is refused as the line would be.
    EXPECT_FALSE(readSpoken("what if I move the piano?", job, {}));
}

TEST(AtRightAngles, StandsBeyondTheEndAndLooksAcross) {
    // 84 wide, its middle 120 along wall A; its front 36 off the wall.
    const auto job = jobWith({"sofa 84 x 36 x 34 on wall A, centred on wall A"});
    const auto with = saidTo(job, "loveseat 60 x 34 x 34 at right angles to the sofa");
    const Pose own = poseOf(with, "Loveseat");
    const Pose sofa = poseOf(with, "Sofa");
    EXPECT_NEAR(dot(own.front(), sofa.front()), 0, 1e-6);
    // It looks toward the sofa's middle, across.
    EXPECT_GT(dot(own.front(), sofa.at - own.at), 0);
    // Its nearer end stands before the sofa's front.
    EXPECT_GT((own.at.y / 25.4) - 30, 36);
    // On the side of the only window, which is in wall B, 20 feet along wall A.
    const char* notes = "room One\nceiling 8'\nwall A 20'\nwall B 15'\n window 5' from left, 4' "
                        "wide, 4' high, sill 30\nwall C 20'\nwall D 15'\n";
    const auto lit = jobWith({"sofa 84 x 36 x 34 on wall A, centred on wall A"}, notes);
    const auto beside =
        saidTo(lit, "loveseat 60 x 34 x 34 at right angles to the sofa, on the window side");
    EXPECT_GT(poseOf(beside, "Loveseat").at.x / 25.4, 120 + 42);
}

TEST(SmallTable, BesideASeatIsOneToSetACupOn) {
    const auto job = jobWith({"armchair at 8', 7'", "sofa on wall A"});
    EXPECT_TRUE(holdsIn(toldBy(job, "small round table 18 across next to the armchair"),
                        "Adds Round side table 18 x 18"));
    EXPECT_TRUE(holdsIn(toldBy(job, "a little table by the sofa"), "Adds Side table"));
    EXPECT_FALSE(
        holdsIn(toldBy(job, "a round table 48 across next to the armchair"), "side table"));
}

TEST(Where, AClosetIsNoDoorAndEachIsFoundByWhereItLeads) {
    const char* notes =
        "room Suite\nceiling 8'\nwall A 14'\nwall B 12'\n door 1' from left, 30 wide, "
        "80 high, hinge left, swings in, to bathroom\nwall C 14'\n closet 4' from "
        "left, 4' wide, 80 high\nwall D 12'\n door 8' from left, 32 wide, 80 high, "
        "hinge right, swings in, to hall\n";
    const auto job = jobWith({}, notes);
    EXPECT_TRUE(holdsIn(toldBy(job, "bench by the bathroom door"), "wall B"));
    EXPECT_TRUE(holdsIn(toldBy(job, "bench by the door to the hall"), "wall D"));
    EXPECT_TRUE(holdsIn(toldBy(job, "what is in front of the closet?"), "door 2"));
    EXPECT_TRUE(holdsIn(toldBy(job, "bench by the door"), "which door"));
    EXPECT_TRUE(holdsIn(toldBy(job, "how wide is the closet?"), "48\""));
    // With one door and a closet, the door is the door.
    const auto one =
        jobWith({}, "room Two\nceiling 8'\nwall A 12'\nwall B 10'\nwall C 12'\n door 1' "
                    "from left, 30 wide, 80 high, hinge left, swings in\nwall D 10'\n "
                    "closet 2' from left, 4' wide, 80 high\n");
    EXPECT_TRUE(holdsIn(toldBy(one, "bench by the door"), "wall C"));
}

TEST(Before, IsWhatStandsStraightBeforeIt) {
    // The window is 7' 6" to 12' 6" along wall A.
    const auto job = jobWith({"desk 48 x 24 x 30 at 10', 2'", "chair at 3', 3'"});
    EXPECT_EQ(toldBy(job, "what is in front of the window?"),
              "answer: Before window 1: Desk 12\" off");
    EXPECT_EQ(toldBy(job, "is the door blocked?"),
              "answer: Nothing stands before door 1 within 48\"");
}

TEST(Over, IsWhatHangsThere) {
    const auto job = jobWith({"sofa 84 x 36 x 34 on wall C, 60 from right corner",
                              "mirror above sofa", "picture on wall C, 4 from right corner"});
    EXPECT_EQ(toldBy(job, "what is over the sofa?"), "answer: Over Sofa: Mirror");
    EXPECT_EQ(toldBy(job, "is anything above the picture?"), "answer: Nothing hangs over Picture");
}

TEST(Fixed, IsWhatCanTip) {
    const auto job = jobWith({"bookcase on wall C, 60 from right corner", "sofa on wall A"});
    const auto told = toldBy(job, "what has to be fixed to the wall?");
    EXPECT_TRUE(holdsIn(told, "Bookcase: Fix it to the wall")) << told;
    EXPECT_FALSE(holdsIn(told, "Sofa")) << told;
    // A screen tips too, on a console as on the floor; a cord on the floor is another matter.
    const auto more = jobWith({"media console on wall C, 60 from right corner",
                               "television on media console", "floor lamp in corner AB"});
    const auto screen = toldBy(more, "what has to be fixed to the wall?");
    EXPECT_TRUE(holdsIn(screen, "Television")) << screen;
    EXPECT_FALSE(holdsIn(screen, "Floor lamp")) << screen;
}

TEST(Closer, IsToTheNearestSeatAndNotTheFirst) {
    const auto job = jobWith(
        {"sofa on wall A, centred on wall A", "armchair at 17', 12'", "coffee table at 14', 12'"});
    EXPECT_TRUE(holdsIn(toldBy(job, "move the coffee table closer"), "toward wall B"));
}

TEST(AtRightAngles, OnNoSideThatSeveralWindowsLeaveOpen) {
    const char* notes = "room Two\nceiling 8'\nwall A 20'\nwall B 15'\n window 5' from left, 4' "
                        "wide, 4' high, sill 30\nwall C 20'\nwall D 15'\n window 5' from left, 4' "
                        "wide, 4' high, sill 30\n";
    const auto job = jobWith({"sofa 84 x 36 on wall A, centred on wall A"}, notes);
    const auto told = toldBy(job, "loveseat at right angles to the sofa, on the window side");
    EXPECT_TRUE(holdsIn(told, "refused")) << told;
}

TEST(HowWide, OfSeveralThatDiffer) {
    const auto job = jobWith({"armchair 30 x 33 at 8', 7'", "another armchair 34 x 33 at 14', 7'"});
    const auto told = toldBy(job, "how wide are the armchairs?");
    EXPECT_TRUE(holdsIn(told, "Armchair: 30\"") && holdsIn(told, "Armchair 2: 34\"")) << told;
}

TEST(Again, OnTheOtherSideOfWhatItIsBy) {
    const auto job = jobWith({"queen bed on wall A", "nightstand left of queen bed"});
    Listener to;
    to.them = {job.scheme().byName("Nightstand")->id};
    to.before = "nightstand on the left of the bed";
    EXPECT_EQ(onTheOtherSide("and the same on the right", job, to),
              "another Nightstand right of Queen bed");
    EXPECT_EQ(onTheOtherSide("another on the other side", job, to),
              "another Nightstand right of Queen bed");
    EXPECT_EQ(onTheOtherSide("move it to the right", job, to), "");
    EXPECT_TRUE(holdsIn(toldBy(job, "and the same on the other side", to), "right of Queen bed"));
    EXPECT_EQ(madeSeveral("make that two", job, to.them), "another Nightstand right of Nightstand");
    EXPECT_EQ(madeSeveral("make it two lamps", job, to.them), "");
}

TEST(NamedKind, IsAKnownThingUnderMoreWords) {
    const auto job = jobWith({});
    const auto more = kindNamedMore("toy basket under the window", job);
    ASSERT_TRUE(more);
    EXPECT_EQ(more->told, "toy");
    EXPECT_FALSE(kindNamedMore("left armchair on wall A", job)); // which one
    EXPECT_FALSE(kindNamedMore("armchair sofa", job));           // two things
    EXPECT_FALSE(kindNamedMore("cofee table on wall A", job));   // a slip
    EXPECT_FALSE(kindNamedMore("navy armchair on wall A", job)); // a colour
    EXPECT_TRUE(holdsIn(toldBy(job, "toy basket under the window"), "Adds Toy basket"));
}

TEST(Fix, IsOfWhatWasSpokenOf) {
    const auto job =
        jobWith({"sofa on wall A", "coffee table 4 in front of sofa", "plant in corner BC"});
    Listener plant;
    plant.them = {job.scheme().byName("Floor plant")->id};
    EXPECT_TRUE(holdsIn(toldBy(job, "fix it", plant), "nothing to mend about Floor plant"));
    Listener table;
    table.them = {job.scheme().byName("Coffee table")->id};
    EXPECT_TRUE(holdsIn(toldBy(job, "fix it", table), "Moves Coffee table"));
}

TEST(OnWhat, ThingsStandOnIsAsked) {
    const auto job = jobWith({"console on wall C, 60 from right corner"});
    EXPECT_TRUE(holdsIn(toldBy(job, "vase"), "on what does Vase stand"));
    EXPECT_TRUE(holdsIn(toldBy(job, "vase on the console"), "on Console"));
    EXPECT_TRUE(holdsIn(toldBy(job, "vase on the floor"), "Adds Vase"));
    const auto ways = waysOn("vase", job, {});
    ASSERT_GE(ways.size(), 2U);
    EXPECT_EQ(ways[0], "vase on Console");
    EXPECT_EQ(ways[1], "vase on the floor");
}

TEST(TopLeft, IsOneOfAGrid) {
    const auto bare = jobWith({});
    const auto job = saidTo(bare, "six 10 x 12 pictures on wall B in a grid");
    const auto said = readSpoken("remove the top left picture", job, {});
    ASSERT_TRUE(said) << said.problem().text();
    const auto after = *apply(job, said->said.edit)->project;
    // None that is left hangs as high and as far left.
    double left = 1e300;
    double high = 0;
    const auto scene = *sceneOf(job);
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->id == "picture") {
            left = std::min(left, scene->byId(p.id)->pose.at.x);
            high = std::max(high, scene->byId(p.id)->pose.at.y);
        }
    int there = 0;
    for (const Piece& p : after.scheme().pieces)
        if (p.kind->id == "picture") {
            ++there;
            const Vec2 at = scene->byId(p.id)->pose.at;
            EXPECT_FALSE(at.x < left + 1 && at.y > high - 1);
        }
    EXPECT_EQ(there, 5);
}

TEST(Together, ThePairKeepsItsSides) {
    const auto job = jobWith({"ottoman 24 x 18 at 8', 7'", "another ottoman 24 x 18 at 14', 7'"});
    const auto pushed = saidTo(job, "push the ottomans together");
    EXPECT_NEAR((poseOf(pushed, "Ottoman 2").at.x - poseOf(pushed, "Ottoman").at.x) / 25.4, 24,
                1e-6);
}

TEST(Viewing, GoesByTheScreensWidth) {
    const auto job = jobWith({});
    // 65 inches corner to corner is 56 5/8" wide; 30° are 1.866 of its widths (SMPTE EG 18-1994,
    // from memory).
    EXPECT_EQ(toldBy(job, "how far should I sit from a 65 inch tv?"),
              "answer: 105 3/4\" away at the most: a screen 56 5/8\" wide fills 30° then");
}
