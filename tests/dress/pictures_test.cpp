// Pictures against the room, on pictures made for the purpose.
#include "dressed_jobs.h"

#include "things/picture_answers.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

constexpr std::size_t pictureSide = 60;

std::uint32_t pixel(Rgb c) {
    return 0xff000000U | static_cast<std::uint32_t>(c.r) << 16U |
           static_cast<std::uint32_t>(c.g) << 8U | c.b;
}

/// A picture whose lowest third is of one colour and the rest of another.
PictureColours painted(Rgb above, Rgb foot) {
    std::vector<std::uint32_t> p;
    for (std::size_t y = 0; y < pictureSide; ++y)
        for (std::size_t x = 0; x < pictureSide; ++x)
            p.push_back(pixel(y >= pictureSide - pictureSide / 3 ? foot : above));
    return pictureColours(p, pictureSide);
}

const Rgb navy = *readColour("navy"), cream = *readColour("cream"), rust = *readColour("rust");

std::vector<RoomColour> room(Rgb walls) {
    return {{"the walls", walls, 40, true}, {"Sofa", navy, 2, false}, {"Rug", cream, 4, false}};
}

} // namespace

TEST(Pictures, AreReadByTheirColoursAndTheirFoot) {
    const auto p = painted(cream, navy);
    ASSERT_EQ(p.patches.size(), 2U);
    EXPECT_NEAR(p.patches[0].share, 2.0 / 3, 0.02);
    const double l0 = labOf(cream).l, l1 = labOf(navy).l;
    EXPECT_NEAR(p.lightness, (2 * l0 + l1) / 3, 0.5);
    EXPECT_NEAR(p.footDarker, l0 - l1, 0.5);
    EXPECT_GT(p.footDarker, darkFootFrom);
    EXPECT_LT(painted(navy, cream).footDarker, 0);
    EXPECT_EQ(pictureColours({}, 0).patches.size(), 0U);
}

TEST(Pictures, ThatTakeUpTheRoomAndStandOutComeFirst) {
    // On a dark green wall: a light picture with a third of the sofa's navy beats one that is the
    // wall over again, and one that has nothing of the room.
    const Rgb dark{30, 60, 45};
    const auto colours = room(dark);
    const auto takes = answerOf(painted({240, 160, 120}, navy), colours);
    const auto lost = answerOf(painted(dark, dark), colours);
    const auto foreign = answerOf(painted(rust, rust), colours);
    EXPECT_GT(takes.score, lost.score);
    EXPECT_GT(takes.score, foreign.score);
    EXPECT_GT(lost.repeats, 0.9);
    EXPECT_NE(lost.why.find("over again"), std::string::npos) << lost.why;
    EXPECT_TRUE(takes.darkFoot);
    EXPECT_NE(std::find(takes.with.begin(), takes.with.end(), "Sofa"), takes.with.end());
    EXPECT_DOUBLE_EQ(foreign.shared, 0);
    for (const auto& a : {takes, lost, foreign}) {
        EXPECT_GE(a.score, 0);
        EXPECT_LE(a.score, 1);
    }
}

TEST(Pictures, DarkAtTheFootWantTheUpperHalfOfTheBandOverFurniture) {
    // Over a sofa 4 to 6 in are right; dark at its foot, 5 and more.
    auto job =
        jobWith({"sofa 84 x 36 x 34 against wall B, centred on wall B",
                 "picture 50 x 30 on wall B, centred on sofa, bottom at 38 1/2 called harbour"});
    const auto verdict = [&] {
        return find(readingsOf(job), job, "art-above", "harbour")->verdict;
    };
    EXPECT_EQ(verdict(), Verdict::right);
    Piece p = *job.scheme().byName("harbour");
    p.darkFoot = true;
    job = *apply(job, {"", {PutPiece{p}}, {}})->project;
    EXPECT_EQ(verdict(), Verdict::tight);
    EXPECT_NE(
        whyOf(*find(readingsOf(job), job, "art-above", "harbour"), job.wording()).find("dark"),
        std::string::npos);
    const auto back = readJob(jobText(job), "a", library());
    EXPECT_TRUE((*back)->scheme().byName("harbour")->darkFoot);
}

TEST(Pictures, RoomColoursAreThoseThatWereTold) {
    const auto job =
        jobWith({"sofa against wall A", "colour sofa navy", "colour walls sage",
                 "bookcase against wall D", "red vase 5 x 5 x 9 in opening 2 of bookcase"});
    const auto all = roomColours(**sceneOf(job));
    ASSERT_EQ(all.size(), 2U);
    EXPECT_TRUE(all[0].wall);
    EXPECT_EQ(all[1].name, "Sofa");
}
