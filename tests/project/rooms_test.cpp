// Several rooms in one job, each with schemes of its own.
#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* two = "room Parlour\nceiling 8'\nwall A 12'\nwall B 10'\n door 3' from left, 30 wide, "
                  "to Hall\nwall C 12'\nwall D 10'\nroom Hall\nceiling 8'\nwall A 4'\nwall B 20'\n"
                  "wall C 4'\nwall D 20'\n door 12' from left, 30 wide, to Parlour\n";

Project said(Project job, const std::string& line) {
    auto read = readLine(line, job);
    if (!read)
        throw std::runtime_error(line + ": " + read.problem().text());
    auto next = apply(job, read->edit);
    if (!next)
        throw std::runtime_error(line + ": " + next.problem().text());
    return *next->project;
}

Result<Applied> notesTaken(const Project& job, const std::string& notes) {
    return apply(job, {"", {SetNotes{notes}}, {}});
}

} // namespace

TEST(Rooms, EachHasItsOwnSchemes) {
    auto job = jobWith({"armchair at 5', 5'"}, two);
    EXPECT_EQ(job.rooms.size(), 2U);
    EXPECT_EQ(job.schemes.size(), 2U);
    EXPECT_EQ(job.schemesHere().size(), 1U);
    job = said(job, "room hall");
    EXPECT_EQ(job.room->name, "Hall");
    EXPECT_TRUE(job.scheme().pieces.empty());
    job = said(job, "scheme new");
    EXPECT_EQ(job.scheme().name, "Scheme 2");
    EXPECT_EQ(job.schemesHere().size(), 2U);
    job = said(job, "bench 40 x 14 against wall B, centred on wall B");
    job = said(job, "room parlour");
    EXPECT_EQ(job.scheme().pieces.size(), 1U);
    EXPECT_EQ(refusal(job, "scheme 2").what, "there is no scheme 2") << "the other is the hall's";
    EXPECT_FALSE(refusal(job, "room attic").what.empty());
}

TEST(Rooms, TheJobFileKeepsThem) {
    auto job = jobWith({"armchair at 5', 5'", "room hall", "bench 40 x 14 against wall B"}, two);
    const auto read = readJob(jobText(job), "t", library());
    ASSERT_TRUE(read) << read.problem().text();
    EXPECT_EQ((*read)->rooms.size(), 2U);
    EXPECT_EQ((*read)->room->name, "Hall");
    EXPECT_EQ(jobText(**read), jobText(job));
    auto wrong = jobText(job);
    wrong.replace(wrong.find("\"room\": \"Hall\""), 14, "\"room\": \"Attic\"");
    const auto refused = readJob(wrong, "t", library());
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.problem().what.find("Attic"), std::string::npos);
}

TEST(Rooms, NewNotesKeepTheSchemesOfTheirRooms) {
    const auto job = jobWith({"room hall", "bench 40 x 14 against wall B"}, two);
    // Renamed, and with a room before it.
    std::string renamed = two;
    renamed.replace(renamed.find("room Hall"), 9, "room Lobby");
    const auto after = notesTaken(job, renamed);
    ASSERT_TRUE(after) << after.problem().text();
    EXPECT_EQ(after->project->room->name, "Lobby");
    EXPECT_EQ(after->project->scheme().pieces.size(), 1U);
    const auto more = notesTaken(job, "room Porch\nwall A 6'\nwall B 6'\nwall C 6'\nwall D 6'\n" +
                                          std::string(two));
    ASSERT_TRUE(more) << more.problem().text();
    EXPECT_EQ(more->project->rooms.size(), 3U);
    EXPECT_EQ(more->project->room->name, "Hall");
    EXPECT_EQ(more->project->schemes.size(), 3U) << "the porch has one of its own";
}

TEST(Rooms, AFurnishedRoomIsNotLost) {
    const auto job = jobWith({"room hall", "bench 40 x 14 against wall B"}, two);
    const auto gone =
        notesTaken(job, std::string(two).substr(0, std::string(two).find("room Hall")));
    ASSERT_FALSE(gone);
    EXPECT_NE(gone.problem().what.find("Hall"), std::string::npos) << gone.problem().text();
    const auto bare = jobWith({}, two);
    EXPECT_TRUE(notesTaken(bare, std::string(two).substr(0, std::string(two).find("room Hall"))));
}

TEST(Rooms, TheLastSchemeOfARoomStays) {
    auto job = jobWith({"room hall", "scheme new"}, two);
    job = said(job, "scheme remove");
    EXPECT_EQ(job.room->name, "Hall");
    const auto last = apply(job, {"", {RemoveScheme{}}, {}});
    EXPECT_FALSE(last);
}

TEST(Rooms, PiecesCanBeTiedToWhatIsBuiltIn) {
    const char* notes = "ceiling 8'\nwall A 16'\n radiator 6' from left, 4' wide, 4 deep\nwall B "
                        "12'\nwall C 16'\n fireplace 5' from left, 5' wide, 14 deep\nwall D 12'\n"
                        "column 4' from wall A, 3' from wall D, 12 square";
    const auto job = jobWith({"console 48 x 12 x 30 against radiator, centred on radiator",
                              "armchair 24 from fireplace, centred on fireplace, facing fireplace"},
                             notes);
    EXPECT_NEAR(poseOf(job, "Console").at.y / 25.4, 4 + 6, 1e-6);
    EXPECT_NEAR(poseOf(job, "Console").at.x / 25.4, 96, 1e-6);
    EXPECT_NEAR(poseOf(job, "Armchair").at.x / 25.4, 192 - 60 - 30, 1e-6);
    const auto read = readJob(jobText(job), "t", library());
    ASSERT_TRUE(read) << read.problem().text();
    EXPECT_EQ(jobText(**read), jobText(job));
    // Standing in a column is a clash.
    const auto in = jobWith({"side table 20 x 20 at 3' 6\", 4' 6\""}, notes);
    EXPECT_NE(find(readingsOf(in), in, "inside", "Side table", "column"), nullptr);
}

TEST(Rooms, APieceMayStandInAnAlcoveAndABay) {
    const char* notes = "ceiling 8'\nwall A 16'\n alcove 4' from left, 4' wide, 2' deep\nwall B "
                        "12'\ncurve 2' out\nwall C 16'\nwall D 12'";
    const auto fits = jobWith({"bookcase 44 x 20 x 72 at 6', -1'"}, notes);
    EXPECT_EQ(find(readingsOf(fits), fits, "inside", "Bookcase"), nullptr);
    const auto wide = jobWith({"bookcase 60 x 20 x 72 at 6', -1'"}, notes);
    EXPECT_NE(find(readingsOf(wide), wide, "inside", "Bookcase", "wall A"), nullptr);
    const auto curved = jobWith({"round table 40 at 16' 2\", 6'"}, notes);
    EXPECT_EQ(find(readingsOf(curved), curved, "inside", "Round table"), nullptr)
        << "the wall curves out there";
    const auto through = jobWith({"round table 40 at 17', 6'"}, notes);
    const auto all = readingsOf(through);
    EXPECT_EQ(std::count_if(all.begin(), all.end(),
                            [](const Reading& r) { return r.rule->id == "inside"; }),
              1)
        << "one reading for the curve, not one a chord";
}
