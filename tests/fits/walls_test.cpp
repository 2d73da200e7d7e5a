// What size suits a wall, sets that answer one piece, mirrors that show a thing, and ledges.
#include "fits/ask.h"
#include "fits/regions.h"
#include "fits/walls.h"
#include "geometry/polygon.h"
#include "hang/mirror.h"
#include "hung.h"
#include "jobs.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

FitAnswer asked(const Project& job, const char* question) {
    auto a = askWhatFits(question, job);
    if (!a)
        throw std::runtime_error(a.problem().text());
    return *a;
}

} // namespace

// Common practice: long sofas want 30 x 90 or 40 x 80.
TEST(PicturesOver, ALongSofaWantsALongPicture) {
    const auto job = jobWith({"long sofa 110 x 38 x 30 against wall C, centred on wall C"});
    const auto a = asked(job, "picture over long sofa");
    ASSERT_FALSE(a.choices.empty());
    // Free: 110 less 6 at either side, and 96 less 30, 5 under and 10 over: 98 x 51.
    EXPECT_NE(a.heading.find("98 x 51"), std::string::npos) << a.heading;
    EXPECT_NE(a.heading.find("1:2 lying"), std::string::npos);
    EXPECT_EQ(a.choices[0].title, "80 x 40");
    for (const auto& c : a.choices) {
        EXPECT_LE(c.size.width.inInches(), 98 + 1e-6);
        EXPECT_LE(c.size.height.inInches(), 51 + 1e-6);
    }
}

TEST(PicturesOver, EachChoiceHangsItInItsBands) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C"});
    const auto a = asked(job, "picture over sofa");
    ASSERT_GE(a.choices.size(), 3U);
    const auto next = apply(job, a.choices[0].edit);
    ASSERT_TRUE(next);
    const auto all = readingsOf(*next->project);
    for (const char* rule : {"art-above", "art-width"})
        EXPECT_EQ(find(all, *next->project, rule, "Picture")->verdict, Verdict::right) << rule;
}

TEST(PicturesOver, NamesWhatIsTooSmallForItsWall) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C",
                              "picture 20 x 16 called Petite, 5 above sofa"});
    const auto a = asked(job, "size over sofa");
    EXPECT_TRUE(std::any_of(a.reasons.begin(), a.reasons.end(), [](const std::string& s) {
        return s.find("Petite is too small") != std::string::npos;
    }));
}

TEST(PicturesOver, ASeatInTheMiddleOfTheRoomHasNoWall) {
    const auto a = asked(jobWith({"sofa 60 x 36 at 10', 7'"}), "picture over sofa");
    EXPECT_TRUE(a.choices.empty());
}

TEST(SetLike, FourSmallOnesAnswerOneLargeAndTheRestIsLeftOver) {
    std::vector<std::string> lines{"canvas 40 x 30 on wall A called Large, at 40, 60"};
    for (int i = 0; i < 4; ++i)
        lines.push_back("picture 19 x 14 on wall C called P" + std::to_string(i) + ", at " +
                        std::to_string(100 + 25 * i) + ", 60");
    lines.emplace_back("picture 6 x 30 on wall C called Odd, at 230, 60");
    const auto job = jobWith(lines);
    const auto a = asked(job, "set like large");
    ASSERT_EQ(a.choices.size(), 1U);
    ASSERT_EQ(a.reasons.size(), 1U);
    EXPECT_NE(a.reasons[0].find("Odd"), std::string::npos);
    const auto next = apply(job, a.choices[0].edit);
    ASSERT_TRUE(next);
    const auto hung = mezzet::test::hungIn(next->project->scheme());
    const auto group =
        std::find_if(hung.begin(), hung.end(), [](const Piece& p) { return p.isGroup(); });
    ASSERT_NE(group, hung.end());
    EXPECT_NEAR(group->size.width.inInches(), 40, 1e-6);
    EXPECT_NEAR(group->size.height.inInches(), 30, 1e-6);
}

TEST(MirrorShowing, SaysWhereAndHowLargeAndPutsOneThatDoes) {
    const auto job =
        jobWith({"sofa 84 x 36 x 34 against wall C, centred on wall C", "floor lamp at 3', 4'"});
    const auto a = asked(job, "mirror on wall B showing floor lamp from sofa");
    EXPECT_TRUE(a.yes) << a.heading;
    ASSERT_FALSE(a.choices.empty());
    const auto next = *apply(job, a.choices[0].edit);
    double share = 0;
    for (const auto& l : lookersOf(*next.scene, Length::inches(66)))
        if (l.from == pieceTarget(job.scheme().byName("Sofa")->id))
            for (const auto& i : mirrorShows(*next.scene, 0, l).items)
                if (i.what == pieceTarget(job.scheme().byName("Floor lamp")->id))
                    share = i.share;
    EXPECT_GT(share, 0.02);
    const auto behind = asked(job, "mirror on wall C showing floor lamp from sofa");
    EXPECT_TRUE(behind.choices.empty() || behind.yes);
}

TEST(LedgeBehind, FillsTheGapBetweenASofasBackAndTheSill) {
    const auto job = jobWith({"sofa 84 x 36 x 30 against wall A, gap 5, centred on window 1"});
    const auto a = asked(job, "ledge behind sofa");
    ASSERT_EQ(a.choices.size(), 1U) << a.heading;
    const auto next = *apply(job, a.choices[0].edit);
    const Piece ledge = mezzet::test::hungIn(next.project->scheme())[0];
    EXPECT_NEAR(ledge.size.width.inInches(), 60, 1e-6) << "what sofa and window share";
    EXPECT_NEAR(ledge.size.depth.inInches(), 5, 1e-6);
    EXPECT_NEAR(bounds(next.scene->walls.placed[0].shape).high.y / 25.4, 30, 1e-6);
    EXPECT_TRUE(
        asked(jobWith({"sofa 84 x 36 x 30 against wall A"}), "ledge behind sofa").choices.empty());
    EXPECT_TRUE(
        asked(jobWith({"sofa 84 x 36 x 30 against wall B"}), "ledge behind sofa").choices.empty());
}

TEST(AskWhatFits, OfWallsPointsAtTheWordItCantTake) {
    const auto job = jobWith({"sofa against wall A"});
    for (const char* q :
         {"picture over", "picture over moon", "set like", "mirror on sofa showing sofa from sofa",
          "mirror on wall B", "mirror on wall B showing sofa", "ledge behind"}) {
        const auto a = askWhatFits(q, job);
        ASSERT_FALSE(a) << q;
        EXPECT_GT(a.problem().column, 0) << q;
    }
}

// What fits may not stand where a cupboard's doors open.
TEST(WhereItStands, LeavesRoomBeforeACupboard) {
    const auto job = jobWith({"dresser 60 x 20 x 34 against wall B, centred on wall B"});
    const auto scene = sceneOf(job);
    Piece stool = pieceOf(library().kit->byId("stool"));
    stool.size = {Length::inches(14), Length::inches(14), Length::inches(18)};
    const auto region = allowedRegion(FloorView(**scene), stool, {});
    const auto allowed = [&](double x, double y) {
        const Vec2 at{x * 25.4, y * 25.4};
        return std::any_of(region.outlines.begin(), region.outlines.end(),
                           [&](const auto& ring) { return insideOutline(ring, at); });
    };
    EXPECT_TRUE(allowed(120, 90)) << "the middle of the room";
    EXPECT_FALSE(allowed(240 - 20 - 10, 90)) << "before its drawers";
}
