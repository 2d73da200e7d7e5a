// Under slopes and beams: what is taller than the room there.
#include "jobs.h"
#include "room/facts.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// Knee of 4' at wall B, full height of 8' 5' out.
constexpr const char* attic = "ceiling 8'\nslope wall B, knee 4', full at 5'\nwall A 20'\nwall B "
                              "15'\nwall C 20'\nwall D 15'\n";

const Reading* over(const Project& job, const char* piece, std::vector<Reading>& kept) {
    kept = readingsOf(job);
    return find(kept, job, "headroom", piece);
}

} // namespace

TEST(Headroom, ATallPieceUnderASlopeIsReadByHowMuchItIsTooTall) {
    std::vector<Reading> kept;
    // Its back is 2' from wall B, where it is 4' + 2/5 of 4' = 5' 7.2" high.
    const auto job =
        jobWith({"bookcase 36 x 12 x 84 24 from wall B, 60 from wall A, square to wall B"}, attic);
    const auto* r = over(job, "Bookcase", kept);
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::clash);
    EXPECT_NEAR(r->value.value / 25.4, 84 - 67.2, 1e-6);
    EXPECT_EQ(words(r->other, job.wording()), "wall B");
}

TEST(Headroom, AtTheBoundItFits) {
    std::vector<Reading> kept;
    EXPECT_EQ(over(jobWith({"bookcase 36 x 12 x 67 1/8 24 from wall B, 60 from wall A, square to "
                            "wall B"},
                           attic),
                   "Bookcase", kept),
              nullptr);
    EXPECT_NE(over(jobWith({"bookcase 36 x 12 x 67 1/4 24 from wall B, 60 from wall A, square to "
                            "wall B"},
                           attic),
                   "Bookcase", kept),
              nullptr);
    EXPECT_EQ(over(jobWith({"bookcase 36 x 12 x 96 61 from wall B, 60 from wall A"}, attic),
                   "Bookcase", kept),
              nullptr)
        << "past the slope it is as high as the room";
}

TEST(Headroom, BeamsComeDownOnlyWhereTheyAre) {
    constexpr const char* beam = "ceiling 8'\nbeam 6' from wall A, 1' wide, 10 deep\nwall A "
                                 "20'\nwall B 15'\nwall C 20'\nwall "
                                 "D 15'\n";
    std::vector<Reading> kept;
    const auto under = jobWith({"wardrobe 36 x 24 x 88 at 10', 6' 6\""}, beam);
    const auto* r = over(under, "Wardrobe", kept);
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value / 25.4, 2, 1e-6);
    EXPECT_EQ(over(jobWith({"wardrobe 36 x 24 x 88 at 10', 10'"}, beam), "Wardrobe", kept), nullptr);
}

TEST(Headroom, WhereTheFloorLiesLowerThereIsMore) {
    const std::string step = std::string(attic) + "step 10' from wall D, down 12\n";
    std::vector<Reading> kept;
    EXPECT_EQ(
        over(jobWith({"bookcase 36 x 12 x 78 24 from wall B, 60 from wall A, square to wall B"},
                     step.c_str()),
             "Bookcase", kept),
        nullptr);
}

TEST(Headroom, ItsRemedyFits) {
    const auto job =
        jobWith({"bookcase 36 x 12 x 84 24 from wall B, 60 from wall A, square to wall B"}, attic);
    std::vector<Reading> kept;
    const auto* r = over(job, "Bookcase", kept);
    ASSERT_NE(r, nullptr);
    const auto remedy = remedyFor(*r, job, **sceneOf(job), kept);
    ASSERT_TRUE(remedy);
    const auto said = readLine(remedy->line, job);
    ASSERT_TRUE(said);
    const auto after = apply(job, said->edit);
    ASSERT_TRUE(after);
    EXPECT_EQ(over(*after->project, "Bookcase", kept), nullptr) << remedy->line;
}

TEST(Cautions, StandAtWhatCanHurt) {
    const auto said = [](const std::string& onA) {
        const auto r = roomFromNotes("ceiling 8'\nwall A 20'\n" + onA +
                                     "\nwall B 15'\nwall C 20'\nwall D 15'\n");
        std::string all;
        for (const auto& c : cautionsOf(**r))
            all += c + "\n";
        return all;
    };
    EXPECT_EQ(said(""), "");
    EXPECT_NE(said("chimney 4' from left, 4' wide, 1' deep").find("engineer"), std::string::npos);
    EXPECT_NE(said("fireplace 4' from left, 4' wide, 1' deep").find("hearth"), std::string::npos);
    EXPECT_NE(said("outlet 4' from left").find("Cables"), std::string::npos);
    // IRC R311.7: riser at most 7 3/4 in, tread at least 10, width at least 36.
    EXPECT_EQ(said("stairs 1' from left, 36 wide, riser 7 3/4, going 10, count 9"), "");
    EXPECT_NE(
        said("stairs 1' from left, 36 wide, riser 7 7/8, going 10, count 9").find("riser 7 7/8"),
        std::string::npos);
    EXPECT_NE(
        said("stairs 1' from left, 35 wide, riser 7, going 9 3/4, count 9").find("IRC R311.7"),
        std::string::npos);
}
