// What the meanings of sentences share: walls toward a direction, the only one of its kind, sizes
// in the order in which they are told, and numbers in figures. Worked by hand in the plain room,
// 240 by 180: wall A runs along the top, so a look along x meets wall B.
#include "speech/meant_words.h"

#include "edit/subjects.h"
#include "speech/other_words_table.h"

#include "spoken_to.h"

using namespace mezzet;
using namespace mezzet::test;

TEST(WallToward, IsTheNearestThatIsMetSquarely) {
    const auto job = jobWith({"sofa 84 x 36, 40 from wall D, 30 from wall C"});
    const Pose at = poseOf(job, "Sofa");
    const Room& room = *job.room;
    // All four ways from one place meet four walls, and two opposite ones are the room apart.
    const WallToward right = wallToward(room, at.at, {1, 0});
    const WallToward left = wallToward(room, at.at, {-1, 0});
    const WallToward up = wallToward(room, at.at, {0, 1});
    const WallToward down = wallToward(room, at.at, {0, -1});
    for (const auto& one : {right, left, up, down})
        ASSERT_NE(one.wall, nullptr);
    EXPECT_NEAR((right.off + left.off) / 25.4, 240, 1e-6);
    EXPECT_NEAR((up.off + down.off) / 25.4, 180, 1e-6);
    // Askew none is met squarely.
    EXPECT_EQ(wallToward(room, at.at, unit(Vec2{1, 1})).wall, nullptr);
}

TEST(OnlyOneLike, IsNoneOfSeveralAndNoneOfAnotherSurface) {
    const auto one = jobWith({"sofa 84 x 36 against wall A", "wall screen on wall B"});
    const auto& kit = *one.library.kit;
    ASSERT_NE(onlyOneLike(*kit.byWord("loveseat"), one), nullptr);
    EXPECT_EQ(onlyOneLike(*kit.byWord("loveseat"), one)->name, "Sofa");
    EXPECT_EQ(onlyOneLike(*kit.byWord("bed"), one), nullptr);
    // What stands on a top is not what hangs on a wall.
    EXPECT_EQ(onlyOneLike(*kit.byWord("television"), one), nullptr);
    const auto two =
        jobWith({"sofa 84 x 36 against wall A", "another sofa 84 x 36 against wall C"});
    EXPECT_EQ(onlyOneLike(*kit.byWord("loveseat"), two), nullptr);
}

TEST(OnlyBreast, IsNoneOfTwo) {
    const char* one =
        "room R\nceiling 8'\nwall A 12'\n fireplace 3' from left, 5' wide, 12 deep, 4' "
        "high\nwall B 10'\nwall C 12'\nwall D 10'\n";
    const char* two =
        "room R\nceiling 8'\nwall A 12'\n fireplace 3' from left, 5' wide, 12 deep, 4' "
        "high\nwall B 10'\nwall C 12'\n breast 3' from left, 5' wide, 12 deep\nwall D "
        "10'\n";
    EXPECT_EQ(onlyBreast(*jobWith({}).room), nullptr);
    ASSERT_NE(onlyBreast(*jobWith({}, one).room), nullptr);
    EXPECT_NEAR(onlyBreast(*jobWith({}, one).room)->width.mm(), 60 * 25.4, 1e-9);
    EXPECT_EQ(onlyBreast(*jobWith({}, two).room), nullptr);
}

TEST(SizesOf, ALineThatHasThemMakesTheSameSize) {
    const auto job = jobWith({"sofa 90 x 38 x 33 against wall A", "picture 30 x 20 on wall B"});
    for (const char* name : {"Sofa", "Picture"}) {
        const Piece& p = *job.scheme().byName(name);
        // Of what hangs the height is told before the depth.
        const auto again = afterSaying(
            job, "add " + p.kind->name + " " + sizesOf(p, p.size, job) + " called Other" +
                     (p.onWall() ? ", on wall C, centre 90 from left corner"
                                 : ", against wall C, 100 from corner CD"));
        ASSERT_NE(again.scheme().byName("Other"), nullptr) << name;
        const Size& size = again.scheme().byName("Other")->size;
        EXPECT_NEAR(size.width.mm(), p.size.width.mm(), 0.01) << name;
        EXPECT_NEAR(size.depth.mm(), p.size.depth.mm(), 0.01) << name;
        EXPECT_NEAR(size.height.mm(), p.size.height.mm(), 0.01) << name;
    }
}

TEST(SideBySide, TheyTouchAndDoNotOverlap) {
    const auto job = jobWith({});
    const KindPtr bookcase = job.library.kit->byWord("bookcase");
    const double wide = bookcase->size.width.mm();
    const auto after = afterSaying(job, sideBySide(*bookcase, 3, 2, 70 * 25.4, job));
    std::vector<double> at;
    for (const Piece& p : after.scheme().pieces)
        at.push_back(poseOf(after, p.name.c_str()).at.x);
    ASSERT_EQ(at.size(), 3U);
    std::sort(at.begin(), at.end());
    EXPECT_NEAR(at[1] - at[0], wide, 0.01);
    EXPECT_NEAR(at[2] - at[1], wide, 0.01);
}

TEST(InFigures, NumbersBeforeAUnitAndSizes) {
    for (const auto& [said, figures] : std::vector<std::pair<const char*, const char*>>{
             {"move it two feet left", "move it 2 feet left"},
             {"raise it one inch", "raise it 1 inch"},
             {"twelve inches from the wall", "12 inches from the wall"},
             {"fourteen cm up and three cm right", "14 cm up and 3 cm right"},
             {"a nine by twelve rug", "a 9 x 12 rug"},
             {"Eight By Ten rug", "8 x 10 rug"},
             // A number of things stays a word, and so does one that stands before "by the".
             {"two chairs by the window", "two chairs by the window"},
             {"three by the door", "three by the door"},
             {"someone inches along", "someone inches along"},
             {"", ""}})
        EXPECT_EQ(inFigures(said), figures) << said;
}

TEST(HungInstead, IsWhatTheKitHasOnAWall) {
    const auto& kit = *jobWith({}).library.kit;
    const auto screen = hungInstead(*kit.byWord("television"), kit);
    ASSERT_TRUE(screen);
    EXPECT_TRUE(screen->hangs());
    const auto print = hungInstead(*kit.byWord("print"), kit);
    ASSERT_TRUE(print);
    EXPECT_EQ(print->id, "picture");
    EXPECT_FALSE(hungInstead(*kit.byWord("sofa"), kit));
}

TEST(AReason, IsToldInThePreviewOfWhatIsAdded) {
    const auto job = jobWith({});
    EXPECT_TRUE(tellsThat(toldBySaying(job, "armchair in corner AB, because the light is there"),
                          ", because the light is there"));
    EXPECT_FALSE(tellsThat(toldBySaying(job, "armchair in corner AB"), "because"));
}

TEST(ATableForFew, HasTheRoomEachSitterNeeds) {
    // The notes' diner-width: at least 24 in, 60 cm, of edge each; two across from each other, four
    // in two pairs along the long sides.
    const char* metricRoom = "units cm\nroom R\nceiling 250\nwall A 600\nwall B 450\nwall C 600\n "
                             "door 60 from left, 82, to Hall\nwall D 450\n";
    for (const char* notes : {plainNotes(), metricRoom})
        for (const int n : {1, 2, 3, 4}) {
            const auto job = jobWith({}, notes);
            const auto after = afterSaying(job, "dining table for " + std::to_string(n) +
                                                    " in the middle of the room");
            const Piece* table = after.scheme().byName("Dining table");
            ASSERT_NE(table, nullptr);
            const double each = notes == metricRoom ? 600 : 24 * 25.4;
            EXPECT_GE(table->size.width.mm() + 1e-6, each * ((n + 1) / 2)) << n;
        }
}
