// What stands near a thing, how one gets past, who sees a screen; and spans said in words: the ends
// of a room, tops in one line, as long as there is room. Against places worked by hand.
#include "jobs.h"
#include "scheme/on_wall.h"
#include "speech/speech.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A room 20 by 15 feet with a fire in B and nothing else but a door.
const char* longRoom() {
    return "room Long\nceiling 8'\nwall A 20'\n window 2' from left, 4' wide, 4' high, sill 30\n"
           " window 14' from left, 4' wide, 4' high, sill 30\nwall B 12'\n"
           " fireplace 4' from left, 4' wide, 12 deep\nwall C 20'\n"
           " door 12' from left, 32 wide, 80 high, hinge right, swings out\nwall D 12'\n";
}

Result<Spoken> heard(const Project& job, const std::string& line) {
    return readSpoken(line, job, listening(0));
}
std::string saidBack(const Project& job, const std::string& line) {
    const auto said = heard(job, line);
    if (!said)
        return "refused: " + said.problem().text();
    return said->is == Spoken::Is::answer ? said->answer.words : "done: " + said->said.preview;
}
Project after(const Project& job, const std::string& line) {
    const auto said = heard(job, line);
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    const auto done = apply(job, said->said.edit);
    if (!done)
        throw std::runtime_error(line + ": " + done.problem().text());
    return *done->project;
}
double inches(double mm) {
    return mm / 25.4;
}
/// Where the middle of a piece that hangs is: along its wall, and up; inches.
Vec2 middleOf(const Project& job, const char* name) {
    return (*sceneOf(job))->byId(job.scheme().byName(name)->id)->pose.at * (1 / 25.4);
}

} // namespace

TEST(WhatIsNear, NearestFirstWithTheirDistances) {
    const auto job =
        jobWith({"bookcase 36 x 12 x 72 against wall C, 10 right of door 1",
                 "bench 48 x 16 x 18 against wall C, 20 left of door 1", "sofa at 5', 3'"},
                longRoom());
    const auto told = saidBack(job, "what is near the door?");
    EXPECT_EQ(told, "Bookcase 10\" off, Bench 20\" off");
    EXPECT_EQ(saidBack(job, "what's next to the door"), told);
    // Of a piece, itself left out.
    EXPECT_EQ(saidBack(job, "what is near the bench?"), "Nothing stands within 48\" of Bench");
}

TEST(WhatIsNear, NothingIsToldAsNothing) {
    const auto job = jobWith({"sofa at 5', 3'"}, longRoom());
    EXPECT_NE(saidBack(job, "what is near the door?").find("Nothing stands within"),
              std::string::npos);
}

TEST(CanItBeSeen, FromEachSeatWithItsDistance) {
    const auto job =
        jobWith({"sofa 84 x 36 at 10', 9', turned 180", "armchair 30 x 34 at 3', 9', turned 0",
                 "wall screen 56 x 33 x 3 on wall A, centred on wall A"},
                longRoom());
    // From the middle of the sofa, 9 feet out, to a face 3 inches off the wall.
    const auto all = saidBack(job, "can everyone see the tv?");
    EXPECT_NE(all.find("From Sofa it is 105\" off"), std::string::npos) << all;
    EXPECT_NE(all.find("Armchair doesn't look toward Wall screen"), std::string::npos) << all;
    const auto one = saidBack(job, "can you see the tv from the sofa?");
    EXPECT_NE(one.find("105\""), std::string::npos) << one;
    EXPECT_EQ(one.find("Armchair"), std::string::npos) << one;
    // Thirty degrees is 2 atan(28 / 105).
    const auto degrees = std::lround(2 * std::atan2(28, 105) * 180 / 3.14159265358979);
    EXPECT_NE(one.find(std::to_string(degrees) + "°"), std::string::npos) << one;
}

TEST(CanItBeSeen, WhatHidesItIsNamed) {
    const auto job =
        jobWith({"sofa 84 x 36 at 10', 9', turned 180", "bookcase 36 x 12 x 72 at 10', 4'",
                 "wall screen 56 x 33 x 3 on wall A, centred on wall A"},
                longRoom());
    EXPECT_EQ(saidBack(job, "can you see the tv from the sofa?"),
              "From Sofa it is hidden by Bookcase");
}

TEST(TheWalkway, ItsNarrowestPlaceIsTold) {
    const auto job = jobWith({"sofa 100 x 36 at 10', 50, turned 90"},
                             "room Through\nceiling 8'\nwall A 20'\nwall B 12'\n opening 4' from "
                             "left, 3' wide, 80 high\nwall C 20'\nwall D 12'\n opening 4' from "
                             "left, 3' wide, 80 high\n");
    // 144 across, the sofa to 100 from wall A: 44 are left to wall C.
    const auto told = saidBack(job, "is there room to walk?");
    EXPECT_NE(told.find("44\""), std::string::npos) << told;
    EXPECT_EQ(told, saidBack(job, "how wide is the walkway?"));
}

TEST(TheEndOfTheRoom, IsTheOneWithoutADoorOrTheOther) {
    // The door is in a long wall: neither end is meant by itself.
    const auto job = jobWith({"sofa at 4', 6', turned 90"}, longRoom());
    EXPECT_FALSE(heard(job, "a bench at the end of the room"));
    // The other end is the one away from the sofa, wall B's.
    const auto table = after(job, "dining table 72 x 38 at the other end of the room");
    const auto at = poseOf(table, "Dining table").at;
    EXPECT_NEAR(inches(at.x), 240 * 0.75, 0.5);
    EXPECT_NEAR(inches(at.y), 72, 0.5);
    const auto six = after(job, "dining table at the other end of the room with six chairs");
    EXPECT_EQ(six.scheme().pieces.size(), job.scheme().pieces.size() + 7);
    // In a hall with its door at one end, the other.
    const auto hall = jobWith({}, "room Hall\nceiling 8'\nwall A 5'\n door 1' from left, 32 wide, "
                                  "80 high, hinge left, swings in\nwall B 16'\nwall C 5'\nwall D "
                                  "16'\n");
    const auto chair = after(hall, "put a chair at the end of the hall");
    EXPECT_GT(inches(poseOf(chair, chair.scheme().pieces.front().name.c_str()).at.y), 150);
}

TEST(TheWindowBy, IsTheOneThatIsClearlyNearer) {
    const auto job = jobWith({}, longRoom());
    const auto done = after(job, "curtains at the window by the fire");
    const Piece& p = done.scheme().pieces.front();
    // The second window is from 14 to 18 feet along wall A.
    EXPECT_NEAR(inches((*sceneOf(done))->byId(p.id)->pose.at.x), 16 * 12, 1e-6);
    // In the middle of the two, neither is.
    const auto between = jobWith({"sofa at 10', 6'"}, longRoom());
    EXPECT_FALSE(heard(between, "curtains at the window by the sofa"));
}

TEST(TopsInLine, AreThoseOfTheFirst) {
    const auto job = jobWith({"picture 20 x 30 called Mill on wall D, centre at 60",
                              "picture 16 x 12 called Barn on wall D, 4 right of Mill"},
                             longRoom());
    const auto done = after(job, "line the pictures up along the top");
    const auto scene = *sceneOf(done);
    const auto top = [&](const char* name) {
        const Piece& p = *done.scheme().byName(name);
        return inches(scene->byId(p.id)->pose.at.y + p.size.height.mm() / 2);
    };
    EXPECT_NEAR(top("Mill"), 75, 1e-6);
    EXPECT_NEAR(top("Barn"), 75, 1e-6);
    const auto low = after(job, "align the bottoms of the pictures");
    const auto there = *sceneOf(low);
    const Piece& barn = *low.scheme().byName("Barn");
    EXPECT_NEAR(inches(there->byId(barn.id)->pose.at.y - barn.size.height.mm() / 2), 45, 1e-6);
}

TEST(AsLongAsItGoes, FromTheOneThingBesideItToTheOther) {
    const auto job = jobWith({"bookcase 36 x 12 x 72 against wall D, 0 from corner DA",
                              "console 48 x 14 x 32 against wall D, 40 from corner CD"},
                             longRoom());
    const auto done = after(job, "make the console as long as possible");
    const Piece& p = *done.scheme().byName("Console");
    // 144 of wall, 36 of it the bookcase's.
    EXPECT_NEAR(inches(p.size.width.mm()), 144 - 36, 1e-6);
    EXPECT_FALSE(heard(done, "make the console as long as possible"));
}

TEST(GapsApart, AreThoseThatAreSaid) {
    auto job = jobWith({"picture 20 x 30 called Mill on wall D, 20 from left corner",
                        "picture 16 x 12 called Barn on wall D, 60 from left corner",
                        "picture 16 x 12 called Weir on wall D, 100 from left corner"},
                       longRoom());
    job = after(job, "space the pictures 3 inches apart");
    const auto left = [&](const char* name) {
        return middleOf(job, name).x - inches(job.scheme().byName(name)->size.width.mm()) / 2;
    };
    // From 20 to 116 before, 58 long after: about the same middle, 68.
    EXPECT_NEAR(left("Mill"), 68 - 29, 1e-6);
    EXPECT_NEAR(left("Barn"), 68 - 29 + 20 + 3, 1e-6);
    EXPECT_NEAR(left("Weir"), 68 - 29 + 20 + 3 + 16 + 3, 1e-6);
}

TEST(WhichOfSeveral, IsAskedAtItsWordWhereverItIsUnderstood) {
    const auto job = jobWith({}, longRoom());
    const std::string line = "curtains on the window";
    const auto said = heard(job, line);
    ASSERT_FALSE(said);
    EXPECT_NE(said.problem().what.find("which window"), std::string::npos) << said.problem().text();
    EXPECT_EQ(said.problem().column, static_cast<int>(line.find("window")) + 1);
    EXPECT_EQ(said.problem().width, 6);
}

TEST(TheBed, OfWhichThereAreTwoIsAskedAboutAndNeverAdded) {
    const auto job =
        jobWith({"queen bed against wall B", "double bed against wall D"}, plainNotes());
    for (const char* line :
         {"put the bed on wall C", "try the bed on wall C", "the bed by wall C"}) {
        const auto said = heard(job, line);
        ASSERT_FALSE(said) << line;
        EXPECT_NE(said.problem().what.find("could be"), std::string::npos) << said.problem().text();
    }
}

TEST(WhatWasSpokenOf, MayBeGone) {
    const auto job = jobWith({"sofa at 10', 8'"}, longRoom());
    for (const char* line : {"lower them 2", "them against wall A", "line them up with window 1",
                             "how wide is it?", "space them 3 apart", "remove it"}) {
        Listener to;
        to.them = {77, 78};
        EXPECT_FALSE(readSpoken(line, job, to)) << line;
        to.them = {77};
        EXPECT_FALSE(readSpoken(line, job, to)) << line;
    }
}

TEST(PlainPieces, AreNotCalledByWordsOfPlace) {
    const auto job = jobWith({"sofa at 10', 8'"}, longRoom());
    EXPECT_FALSE(heard(job, "stick a rug inside between, 8 x 10"));
    EXPECT_FALSE(heard(job, "a box underneath over 20 x 20 x 20"));
    // Of what was spoken of last, it lies under that.
    const int sofa = job.scheme().byName("Sofa")->id;
    const auto under = readSpoken("stick a rug underneath, 8 x 10", job, listening(sofa));
    ASSERT_TRUE(under) << under.problem().text();
    EXPECT_NE(under->said.preview.find("Rug 120 x 96"), std::string::npos) << under->said.preview;
}

TEST(AGroupThatIsSpokenOf, MovesAsOne) {
    auto job = jobWith({}, longRoom());
    const auto made = heard(job, "gallery of four pictures 12 x 16 on wall D");
    ASSERT_TRUE(made);
    const auto done = apply(job, made->said.edit);
    ASSERT_TRUE(done);
    job = *done->project;
    Listener to;
    for (const Piece& p : job.scheme().pieces)
        to.them.push_back(p.id);
    const auto before = *sceneOf(job);
    const auto up = readSpoken("raise them 5", job, to);
    ASSERT_TRUE(up) << up.problem().text();
    const auto after = apply(job, up->said.edit);
    ASSERT_TRUE(after);
    for (const Piece& p : after->project->scheme().pieces)
        EXPECT_NEAR(inches(after->scene->byId(p.id)->pose.at.y - before->byId(p.id)->pose.at.y), 5,
                    1e-6)
            << p.name;
    // Its top comes to the window's head, 78 up, all of it along.
    const auto top = readSpoken("them, top with window 1", job, to);
    ASSERT_TRUE(top) << top.problem().text();
    const auto there = apply(job, top->said.edit);
    ASSERT_TRUE(there);
    const Piece& group = there->project->scheme().pieces.back();
    ASSERT_TRUE(group.isGroup());
    const double half = inches(group.size.height.mm()) / 2;
    EXPECT_NEAR(inches(there->scene->byId(group.id)->pose.at.y) + half, 78, 1e-6);
    EXPECT_EQ(there->project->scheme().members(group.id).size(), 4U);
}

TEST(GapsApart, OneAboveTheOtherAreFromFootToTop) {
    auto job = jobWith({"picture 20 x 10 called Mill on wall D, centre at 70",
                        "picture 20 x 10 called Barn on wall D, centre at 50",
                        "picture 20 x 10 called Weir on wall D, centre at 30"},
                       longRoom());
    job = after(job, "space the pictures 3 inches apart");
    EXPECT_NEAR(middleOf(job, "Mill").y, 70, 1e-6);
    EXPECT_NEAR(middleOf(job, "Barn").y, 70 - 13, 1e-6);
    EXPECT_NEAR(middleOf(job, "Weir").y, 70 - 26, 1e-6);
}
