// What "it", "the lamp" and "another one" are: told by what was spoken of last. Against places
// worked by hand.
#include "jobs.h"
#include "speech/meant_words.h"
#include "speech/speech.h"
#include "speech/spoken_names.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// The id of a piece by its name.
int idOf(const Project& job, const char* name) {
    return job.scheme().byName(name)->id;
}
Listener of(const Project& job, std::initializer_list<const char*> names) {
    Listener to;
    for (const char* name : names)
        to.them.push_back(idOf(job, name));
    return to;
}
std::string heard(const Project& job, const std::string& line, const Listener& to) {
    const auto said = readSpoken(line, job, to);
    if (!said)
        return "refused: " + said.problem().text();
    if (said->is == Spoken::Is::undo)
        return "undo";
    return said->is == Spoken::Is::answer ? said->answer.words : said->said.preview;
}
bool has(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}

} // namespace

TEST(OfThem, ItIsTheTableThatTheChairsStandAt) {
    const auto job = jobWith({"round table 60 x 60 at 10', 7'", "4 chairs around round table"});
    const auto chairs =
        of(job, {"Dining chair 1", "Dining chair 2", "Dining chair 3", "Dining chair 4"});
    EXPECT_TRUE(has(heard(job, "move it 1' toward wall B", chairs), "Moves Round table 12\""));
    EXPECT_TRUE(has(heard(job, "remove them", chairs), "Dining chair 4"));
    // Of what hangs over a sofa it could be either.
    const auto hung = jobWith({"sofa on wall C", "three pictures over sofa"});
    const auto pictures = of(hung, {"Picture", "Picture 2", "Picture 3"});
    EXPECT_TRUE(has(heard(hung, "move it 1' left", pictures), "refused"));
    // Of two that stand at different things too.
    const auto two = jobWith(
        {"sofa on wall A", "desk on wall C", "side table left of sofa", "waste bin left of desk"});
    EXPECT_TRUE(
        has(heard(two, "move it 1' left", of(two, {"Side table", "Waste bin"})), "refused"));
}

TEST(OfThem, AGroupWithAllThatIsInItIsTheGroup) {
    const auto bare = jobWith({});
    const auto hung = readSpoken("four pictures in a grid on wall B", bare, {});
    ASSERT_TRUE(hung) << hung.problem().text();
    const Project job = *apply(bare, hung->said.edit)->project;
    Listener to;
    for (const Piece& p : job.scheme().pieces)
        to.them.push_back(p.id);
    const auto high = heard(job, "how high is it?", to);
    EXPECT_TRUE(has(high, "Group of 4")) << high;
}

TEST(OfThem, TheLampIsTheOneSpokenOfLast) {
    const auto job = jobWith({"sideboard on wall C", "table lamp on sideboard, left",
                              "another table lamp on sideboard, right", "floor lamp at 3', 3'"});
    EXPECT_TRUE(has(heard(job, "remove the lamp", {}), "refused"));
    EXPECT_TRUE(
        has(heard(job, "remove the lamp", of(job, {"Table lamp 2"})), "Remove Table lamp 2"));
    // What was spoken of and is no lamp doesn't tell which.
    EXPECT_TRUE(has(heard(job, "remove the lamp", of(job, {"Sideboard"})), "refused"));
    const std::vector<int> both{idOf(job, "Table lamp"), idOf(job, "Table lamp 2")};
    EXPECT_EQ(ofThoseSpoken("a vase between the lamps", job, both),
              "a vase between Table lamp and Table lamp 2");
    EXPECT_EQ(ofThoseSpoken("a vase between the lamp", job, both), "");
    EXPECT_EQ(ofThoseSpoken("remove the lamp", job, {}), "");
    EXPECT_EQ(ofThoseSpoken("remove the lamp", job, {999}), "") << "it is gone";
}

TEST(OfThem, AnotherOneIsOfTheKindSpokenOf) {
    const auto job = jobWith({"bookcase 30 x 12 x 72 on wall A, 0 from corner AB"});
    const auto it = of(job, {"Bookcase"});
    EXPECT_EQ(anotherOfThose("and another one on wall C", job, it.them),
              "another Bookcase on wall C");
    EXPECT_EQ(anotherOfThose("one more", job, it.them), "another Bookcase");
    EXPECT_EQ(anotherOfThose("another lamp on wall C", job, it.them), "");
    EXPECT_EQ(anotherOfThose("another one on wall C", job, {}), "");
    const auto done = heard(job, "another one on wall C", it);
    EXPECT_TRUE(has(done, "Adds Bookcase 2 30 x 12 x 72")) << done;
    // "put another" is never the one there is.
    EXPECT_TRUE(has(heard(job, "put another bookcase on wall C", it), "Adds Bookcase 2"));
}

TEST(OfThem, WhatWasTakenOutIsNotItAnyMore) {
    const auto job = jobWith({"sofa on wall C", "rug 8' x 10' at 10', 7'"});
    const auto out = readSpoken("remove the rug", job, of(job, {"Sofa"}));
    ASSERT_TRUE(out) << out.problem().text();
    ASSERT_EQ(out->said.them.size(), 1U);
    const auto next = apply(job, out->said.edit);
    ASSERT_TRUE(next);
    Listener to{out->said.them, {}, "remove the rug"};
    EXPECT_EQ(heard(*next->project, "bring it back", to), "undo");
    EXPECT_TRUE(has(heard(*next->project, "move it 1' left", to), "was taken out"));
    // Something else was done since: it is not undone for that.
    to.before = "sofa 6 wider";
    EXPECT_TRUE(has(heard(*next->project, "bring it back", to), "was taken out"));
}

TEST(OfThem, OneOfSeveralIsToldByHowItCompares) {
    const auto job = jobWith({"desk on wall C", "floating shelf called Low, 5 above desk",
                              "floating shelf called Mid, 12 above Low",
                              "floating shelf called High, 12 above Mid",
                              "add rug 8' x 10' at 5', 7'", "add rug 3' x 5' at 15', 7'"});
    EXPECT_TRUE(has(heard(job, "remove the top shelf", {}), "Remove High"));
    EXPECT_TRUE(has(heard(job, "remove the middle shelf", {}), "Remove Mid"));
    EXPECT_TRUE(has(heard(job, "remove the lowest shelf", {}), "Remove Low"));
    const auto larger = heard(job, "remove the larger rug", {});
    EXPECT_TRUE(has(larger, "Remove Rug") && !has(larger, "Rug 2")) << larger;
    const auto smallest = heard(job, "remove the smallest rug", {});
    EXPECT_TRUE(has(smallest, "Remove Rug 2")) << smallest;
    // A larger rug is another one.
    EXPECT_FALSE(has(heard(job, "a larger rug at 15', 12'", {}), "Moves"));
    // Of two that are alike none is the larger.
    const auto alike = jobWith({"add rug 3' x 5' at 5', 7'", "add rug 3' x 5' at 15', 7'"});
    const auto none = heard(alike, "remove the larger rug", {});
    EXPECT_TRUE(has(none, "refused")) << none;
}

TEST(OfThem, ANameMayEndInTheFigureBeforeALength) {
    const auto job = jobWith({"three pictures on wall B"});
    const auto parted = namedAndFigure("picture, picture 2 and picture 3 5 cm", job);
    ASSERT_TRUE(parted);
    ASSERT_EQ(parted->pieces.size(), 3U);
    EXPECT_EQ(parted->figure, "5 cm");
    const auto plain = namedAndFigure("the pictures 3 1/2", job);
    ASSERT_TRUE(plain);
    EXPECT_EQ(plain->figure, "3 1/2");
    EXPECT_FALSE(namedAndFigure("the pictures", job));
    // Spaced by their names, each so far from the next and about the same middle.
    const auto said =
        readSpoken("space picture, picture 2 and picture 3 5 apart", job, listening(0));
    ASSERT_TRUE(said) << said.problem().text();
    const auto done = apply(job, said->said.edit);
    ASSERT_TRUE(done);
    const auto at = [&](const char* name) { return poseOf(*done->project, name).at.x / 25.4; };
    EXPECT_NEAR(at("Picture 2") - at("Picture"), 24 + 5, 0.01);
    EXPECT_NEAR(at("Picture 3") - at("Picture 2"), 24 + 5, 0.01);
    EXPECT_NEAR(at("Picture 2"), poseOf(job, "Picture 2").at.x / 25.4, 0.01);
    for (const char* name : {"Picture", "Picture 2", "Picture 3"})
        EXPECT_EQ(done->project->scheme().byName(name)->size, job.scheme().byName(name)->size);
}

TEST(OfThem, ReachPastEachOtherIsToldOnEverySide) {
    // A rug of 120 x 96 in the middle under a table of 60 x 40: 30 past at its sides, 28 before it.
    const auto job =
        jobWith({"dining table 60 x 40 at 10', 7'", "rug 120 x 96 under dining table"});
    const auto said = heard(job, "how far does the rug stick out past the table?", {});
    EXPECT_TRUE(has(said, "28\" in front")) << said;
    EXPECT_TRUE(has(said, "28\" behind")) << said;
    EXPECT_TRUE(has(said, "30\" on its left")) << said;
    const auto less = heard(job, "how far does the table reach past the rug?", {});
    EXPECT_TRUE(has(less, "doesn't reach past")) << less;
    // A picture of 24 over a console of 60 in its middle: 18 short of it at either end.
    const auto hung = jobWith({"console 60 wide on wall C", "picture over console"});
    const auto past = heard(hung, "how far does the picture reach past the console?", {});
    EXPECT_TRUE(has(past, "ends short of it by 18\" on the left and 18\" on the right")) << past;
}

TEST(OfThem, AFigureWithItsUnitIsNoName) {
    const auto job = jobWith({"three pictures on wall B"});
    EXPECT_TRUE(has(heard(job, "move Picture 3 in left", {}), "Moves Picture 3\" left"));
    EXPECT_TRUE(has(heard(job, "move Picture 3\" left", {}), "Moves Picture 3\" left"));
    EXPECT_TRUE(has(heard(job, "move Picture 3 5 left", {}), "Moves Picture 3 5\" left"));
}

TEST(OfThem, AThingThatIsNotThereIsNoOtherByTheBeginningOfItsName) {
    const auto job = jobWith({"desk chair at 10', 7'", "table lamp at 5', 7'"});
    EXPECT_TRUE(has(heard(job, "move the desk 1' left", {}), "refused"));
    EXPECT_TRUE(has(heard(job, "make the table lower", {}), "refused"));
    EXPECT_TRUE(has(heard(job, "move the chair 1' left", {}), "Moves Desk chair"));
}

TEST(OfThem, InsteadIsInPlaceOfWhatWasSpokenOf) {
    const auto job = jobWith({"rug 8' x 10' at 10', 7'", "sofa on wall C"});
    const auto rug = of(job, {"Rug"});
    EXPECT_EQ(insteadOfThose("a 9x12 rug instead", job, rug.them), "replace Rug by a 9x12 rug");
    EXPECT_EQ(insteadOfThose("two armchairs instead", job, of(job, {"Rug", "Sofa"}).them),
              "remove Rug and Sofa; then two armchairs");
    EXPECT_EQ(insteadOfThose("two sconces instead", job, of(job, {"Rug", "Sofa"}).them), "");
    EXPECT_EQ(insteadOfThose("a loveseat instead of the sofa", job, rug.them), "");
    const auto said = readSpoken("9x12 rug instead", job, rug);
    ASSERT_TRUE(said) << said.problem().text();
    const auto done = apply(job, said->said.edit);
    ASSERT_TRUE(done);
    EXPECT_EQ(done->project->scheme().pieces.size(), 2U) << said->said.preview;
    EXPECT_NEAR(done->project->scheme().byId(rug.them[0])->size.width.inInches(), 108, 0.01);
}

TEST(OfThem, BetweenTheChairsIsBetweenTheTwoThereAre) {
    const auto two = jobWith({"armchair at 5', 7'", "another armchair at 12', 7'"});
    const auto said = heard(two, "a side table between the armchairs", {});
    EXPECT_TRUE(has(said, "between Armchair and Armchair 2")) << said;
    const auto three = jobWith(
        {"armchair at 5', 7'", "another armchair at 12', 7'", "another armchair at 12', 12'"});
    EXPECT_TRUE(has(heard(three, "a side table between the armchairs", {}), "refused"));
}

TEST(OfThem, AColumnHangsWithItsMiddleAtEyeLevel) {
    // Three of 18 and two gaps of 2: 20 from middle to middle.
    const auto bare = jobWith({});
    const double eyes = eyeLevel(*bare.library.book, bare.judgement).inInches();
    const auto said = readSpoken("three pictures 24 x 18 in a column on wall B", bare, {});
    ASSERT_TRUE(said) << said.problem().text();
    const auto done = apply(bare, said->said.edit);
    ASSERT_TRUE(done);
    EXPECT_NEAR(poseOf(*done->project, "Picture").at.y / 25.4, eyes - 20, 0.01);
    EXPECT_NEAR(poseOf(*done->project, "Picture 2").at.y / 25.4, eyes, 0.01);
    EXPECT_NEAR(poseOf(*done->project, "Picture 3").at.y / 25.4, eyes + 20, 0.01);
}

TEST(OfThem, ACurtainRodGoesUpAndTheClothStillReachesDown) {
    // The window's head is at 80: with the rod 6 over it the cloth is from 1/2 to 86.
    const auto job = jobWith({"curtains on window 1"});
    const auto foot = [](const Project& j) {
        const Piece& p = *j.scheme().byName("Curtains");
        return poseOf(j, "Curtains").at.y - p.size.height.mm() / 2;
    };
    const auto said = readSpoken("hang the curtain rod 6 above the window", job, {});
    ASSERT_TRUE(said) << said.problem().text();
    const auto done = apply(job, said->said.edit);
    ASSERT_TRUE(done);
    const Piece& p = *done->project->scheme().byName("Curtains");
    EXPECT_NEAR(foot(*done->project), foot(job), 0.01);
    EXPECT_NEAR((foot(*done->project) + p.size.height.mm()) / 25.4, 32 + 48 + 6, 0.13);
}
