// What is said of tables and what is over a room: chairs at their ends and sides, benches in place
// of chairs, tables for so many, rugs for them, lights in rows, curtains from the ceiling. Against
// places and sizes worked by hand.
#include "geometry/gap.h"
#include "jobs.h"
#include "scheme/on_wall.h"
#include "speech/speech.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A job when a line was spoken to it; the test fails where it is refused or only answered.
Project spokenTo(const Project& job, const std::string& line) {
    const auto said = readSpoken(line, job, listening(0));
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    if (said->is != Spoken::Is::edit)
        throw std::runtime_error(line + ": " + said->answer.words);
    const auto done = apply(job, said->said.edit);
    if (!done)
        throw std::runtime_error(line + ": " + done.problem().text());
    return *done->project;
}

const char* tableSized(const char* size) {
    static std::string line;
    line = fmt::format("dining table {} in the middle of the room", size);
    return line.c_str();
}

std::set<std::string> names(const Project& job) {
    std::set<std::string> out;
    for (const Piece& p : job.scheme().pieces)
        out.insert(p.name);
    return out;
}

/// Where a piece stands about another, mm: right and front of it.
Vec2 about(const Project& job, const std::string& piece, const std::string& of) {
    const auto scene = *sceneOf(job);
    const auto& schemes = job.scheme();
    return scene->inPlan(schemes.byName(of)->id)
        ->pose.toLocal(scene->inPlan(schemes.byName(piece)->id)->pose.at);
}

int kinds(const Project& job, const char* id) {
    const auto& all = job.scheme().pieces;
    return static_cast<int>(
        std::count_if(all.begin(), all.end(), [&](const Piece& p) { return p.kind->id == id; }));
}

} // namespace

TEST(TableEnds, TheChairsThereAreMeantAndNoOthers) {
    const auto job = jobWith({tableSized("72 x 36 x 30"), "seat dining table with 6"});
    // Six at such a table: two by two on the long sides, one at each end.
    std::set<std::string> ends;
    for (const Piece& p : job.scheme().pieces)
        if (p.kind->id == "dining-chair" &&
            std::abs(about(job, p.name, "Dining table").x) > 36 * 25.4 - 1)
            ends.insert(p.name);
    ASSERT_EQ(ends.size(), 2U);
    for (const char* line :
         {"remove the chairs at the ends of the table", "take away the chairs at the heads",
          "get rid of the chairs at both ends"}) {
        const auto left = names(spokenTo(job, line));
        EXPECT_EQ(left.size(), 5U) << line;
        for (const auto& n : ends)
            EXPECT_EQ(left.count(n), 0U) << line;
    }
    const auto carvers = spokenTo(job, "use carvers at the two ends");
    EXPECT_EQ(kinds(carvers, "dining-armchair"), 2);
    EXPECT_EQ(kinds(carvers, "dining-chair"), 4);
    for (const Piece& p : carvers.scheme().pieces)
        if (p.kind->id == "dining-armchair") {
            EXPECT_GT(std::abs(about(carvers, p.name, "Dining table").x), 36 * 25.4 - 1) << p.name;
        }
}

TEST(TableEnds, ChairsAreAddedWhereThereAreNone) {
    const auto job = jobWith({tableSized("72 x 36 x 30"), "seat dining table with 4"});
    const auto now = spokenTo(job, "put chairs at the ends of the table");
    EXPECT_EQ(kinds(now, "dining-chair"), 6);
    int left = 0;
    int right = 0;
    for (const Piece& p : now.scheme().pieces)
        if (job.scheme().byName(p.name) == nullptr) {
            const Vec2 at = about(now, p.name, "Dining table");
            EXPECT_NEAR(at.y, 0, 1) << p.name;
            (at.x < 0 ? left : right) += 1;
        }
    EXPECT_EQ(left, 1);
    EXPECT_EQ(right, 1);
}

TEST(TableSides, ABenchTakesThePlaceOfTheChairsOfOne) {
    const auto job = jobWith({tableSized("72 x 36 x 30"), "seat dining table with 4"});
    for (const char* line : {"replace two chairs with a bench", "swap both chairs for a bench"}) {
        const auto now = spokenTo(job, line);
        ASSERT_EQ(kinds(now, "bench"), 1) << line;
        EXPECT_EQ(kinds(now, "dining-chair"), 2) << line;
        // It stands along a long side, looks at the table, and the chairs that are left are across.
        const Vec2 bench = about(now, "Bench", "Dining table");
        EXPECT_GT(std::abs(bench.y), 18 * 25.4 - 1) << line;
        for (const Piece& p : now.scheme().pieces)
            if (p.kind->id == "dining-chair") {
                EXPECT_LT(about(now, p.name, "Dining table").y * bench.y, 0) << line;
            }
        const auto scene = *sceneOf(now);
        const Pose& at = scene->inPlan(now.scheme().byName("Bench")->id)->pose;
        const Vec2 to = scene->inPlan(now.scheme().byName("Dining table")->id)->pose.at - at.at;
        EXPECT_NEAR(dot(at.front(), unit(to)), 1, 1e-6) << line;
    }
    // Where nobody sits it takes nobody's place.
    const auto free =
        spokenTo(jobWith({tableSized("72 x 36 x 30")}), "a bench on one side of the table");
    EXPECT_EQ(kinds(free, "bench"), 1);
}

TEST(TableFor, IsAsLongAsSoManyNeed) { // 24 of its edge each, common practice
    for (const int people : {4, 6, 8, 10, 12}) {
        const auto job = jobWith({tableSized("60 x 36 x 30")});
        const auto now = spokenTo(job, fmt::format("make the table longer so {} fit", people));
        const Piece& t = *now.scheme().byName("Dining table");
        const double wide = t.size.width.inInches();
        const auto room = [](double w) {
            return 2 * static_cast<int>(w / 24 + 1e-9) + 2 * static_cast<int>(36.0 / 24);
        };
        EXPECT_GE(room(wide), people) << wide;
        // And no step longer than it needs.
        EXPECT_TRUE(wide <= 60 + 1e-6 || room(wide - 6) < people) << people << " " << wide;
        EXPECT_EQ(kinds(now, "dining-chair"), people);
        // The same as one that is added for so many.
        const auto added = spokenTo(
            jobWith({}),
            fmt::format("dining table 60 x 36 x 30 for {} in the middle of the room", people));
        EXPECT_NEAR(added.scheme().pieces.front().size.width.inInches(), wide, 1e-6) << people;
    }
}

TEST(TableRug, ReachesAsFarAsChairsAreDrawnBack) { // 24 past every edge
    for (const double wide : {60.0, 72.0, 96.0}) {
        const auto job = jobWith({tableSized(fmt::format("{} x 38 x 30", wide).c_str())});
        const auto now = spokenTo(job, "a rug big enough for the table and chairs");
        const Piece& rug = now.scheme().pieces.back();
        EXPECT_NEAR(rug.size.width.inInches(), wide + 48, 1e-6);
        EXPECT_NEAR(rug.size.depth.inInches(), 38 + 48, 1e-6);
        const auto scene = *sceneOf(now);
        EXPECT_NEAR(norm(scene->inPlan(rug.id)->pose.at - scene->inPlan(1)->pose.at), 0, 0.1);
    }
}

TEST(Desk, IsTurnedSoThatTheOneWhoSitsThereLooksThatWay) {
    const auto job = jobWith({"desk 54 x 26 x 30 in the middle of the room"});
    for (const auto& [what, at] :
         {std::pair{"the door", Vec2{24 + 16, 180}}, {"the window", Vec2{90 + 30, 0}}}) {
        const auto now = spokenTo(job, fmt::format("turn the desk so I face {}", what));
        const auto scene = *sceneOf(now);
        const Pose& pose = scene->inPlan(1)->pose;
        // Whoever sits at its front looks over it.
        const auto& o = now.room->openings[what == std::string("the door") ? 1 : 0];
        const Wall& w = now.room->walls[static_cast<std::size_t>(o.wall)];
        const Vec2 to = w.at(o.left + o.width / 2) - pose.at;
        EXPECT_LT(dot(pose.front(), unit(to)), -0.99) << what;
    }
    // A seat looks there itself.
    const auto chair = spokenTo(jobWith({"armchair in the middle of the room"}),
                                "turn the armchair so I face the window");
    const auto scene = *sceneOf(chair);
    const auto& o = chair.room->openings[0];
    const Vec2 to = chair.room->walls[static_cast<std::size_t>(o.wall)].at(o.left + o.width / 2) -
                    scene->inPlan(1)->pose.at;
    EXPECT_GT(dot(scene->inPlan(1)->pose.front(), unit(to)), 0.99);
}

TEST(LightsInRows, StandHalfAsFarFromTheWallsAsFromEachOther) { // 20 by 15 feet
    struct Case {
        const char* line;
        int across;
        int rows;
    };
    for (const Case c :
         {Case{"six recessed lights in two rows", 3, 2}, Case{"4 can lights in 2 rows", 2, 2},
          Case{"nine downlights in three rows", 3, 3}, Case{"6 recessed lights evenly", 3, 2}}) {
        const auto job = spokenTo(jobWith({}), c.line);
        ASSERT_EQ(kinds(job, "recessed-light"), c.across * c.rows) << c.line;
        const auto scene = *sceneOf(job);
        std::multiset<long> xs;
        std::multiset<long> ys;
        for (const Piece& p : job.scheme().pieces) {
            const Vec2 at = scene->inPlan(p.id)->pose.at;
            xs.insert(std::lround(at.x / 25.4));
            ys.insert(std::lround(at.y / 25.4));
        }
        for (int i = 0; i < c.across; ++i)
            EXPECT_EQ(xs.count(std::lround(240.0 / c.across * (i + 0.5))),
                      static_cast<std::size_t>(c.rows))
                << c.line;
        for (int i = 0; i < c.rows; ++i)
            EXPECT_EQ(ys.count(std::lround(180.0 / c.rows * (i + 0.5))),
                      static_cast<std::size_t>(c.across))
                << c.line;
    }
}

TEST(Curtains, HangFromTheCeilingWhereThatIsSaid) {
    const auto job = jobWith({}); // 8 feet high; its window 60 wide
    for (const char* line : {"floor to ceiling curtains", "curtains floor to ceiling",
                             "full-height curtains on the window"}) {
        const auto now = spokenTo(job, line);
        const Piece& p = now.scheme().pieces.front();
        EXPECT_EQ(p.kind->id, "curtains") << line;
        EXPECT_NEAR(p.size.width.inInches(), 84, 1e-6) << line;
        const auto scene = *sceneOf(now);
        const double top = scene->byId(p.id)->pose.at.y + p.size.height.mm() / 2;
        EXPECT_NEAR(top / 25.4, 96, 0.1) << line;
    }
    const auto high = spokenTo(job, "hang the curtains high and wide");
    const auto scene = *sceneOf(high);
    const Piece& p = high.scheme().pieces.front();
    EXPECT_NEAR((scene->byId(p.id)->pose.at.y + p.size.height.mm() / 2) / 25.4, 92, 0.1);
}

TEST(Corner, IsLeftByBothItsWalls) {
    const auto job = jobWith({"armchair 30 x 33 x 33 in corner AB"});
    for (const auto& [line, by] : {std::pair{"pull the armchair 10 out of the corner", 10.0},
                                   {"move the armchair out of the corner by 4", 4.0},
                                   {"pull the armchair out of the corner a bit", 6.0}}) {
        const auto now = spokenTo(job, line);
        const auto near = wallsNear(**sceneOf(now), 1);
        EXPECT_NEAR(near[0].gap.inInches(), by, 0.05) << line;
        EXPECT_NEAR(near[1].gap.inInches(), by, 0.05) << line;
    }
}

TEST(Gaps, AreLeftAlongTheWallThatThingsStandAt) {
    const auto job = jobWith({"bookcase 30 x 12 x 72 against wall C, 10 from corner CD",
                              "another bookcase 30 x 12 x 72 against wall C, 60 from corner CD",
                              "another bookcase 30 x 12 x 72 against wall C, 130 from corner CD"});
    const auto gaps = [](const Project& p) {
        const auto scene = *sceneOf(p);
        std::vector<double> xs;
        for (const Piece& b : p.scheme().pieces)
            xs.push_back(scene->inPlan(b.id)->pose.at.x / 25.4);
        std::sort(xs.begin(), xs.end());
        return std::pair{xs[1] - xs[0] - 30, xs[2] - xs[1] - 30};
    };
    const auto [a, b] = gaps(spokenTo(job, "leave 5 between the bookcases"));
    EXPECT_NEAR(a, 5, 1e-6);
    EXPECT_NEAR(b, 5, 1e-6);
    for (const char* line :
         {"push the bookcases together", "close the gaps between the bookcases"}) {
        const auto [c, d] = gaps(spokenTo(job, line));
        EXPECT_NEAR(c, 0, 1e-6) << line;
        EXPECT_NEAR(d, 0, 1e-6) << line;
    }
}

TEST(TheTable, IsNoTableLampAndTheTvIsTheOneOnTheWall) {
    const auto job = jobWith({tableSized("60 x 36 x 30"), "table lamp on dining table",
                              "wall screen 50 x 28 on wall B"});
    const auto moved = spokenTo(job, "move the table 6 toward wall A");
    EXPECT_NEAR(norm((*sceneOf(moved))->inPlan(1)->pose.at - (*sceneOf(job))->inPlan(1)->pose.at),
                6 * 25.4, 0.1);
    const auto lower = spokenTo(job, "lower the tv 3");
    const int tv = job.scheme().byName("Wall screen")->id;
    EXPECT_NEAR((*sceneOf(job))->byId(tv)->pose.at.y - (*sceneOf(lower))->byId(tv)->pose.at.y,
                3 * 25.4, 0.1);
}

TEST(Everything, GoesTheSameWayTowardAWallAndWhatHangsStays) {
    const auto job =
        jobWith({tableSized("60 x 36 x 30"), "pendant over dining table",
                 "sideboard against wall A, centred on wall A", "picture 24 x 18 on wall A"});
    const auto now = spokenTo(job, "move everything 6 toward wall C");
    const auto was = *sceneOf(job);
    const auto is = *sceneOf(now);
    for (const char* name : {"Dining table", "Pendant", "Sideboard"}) {
        const int id = job.scheme().byName(name)->id;
        const Vec2 by = is->inPlan(id)->pose.at - was->inPlan(id)->pose.at;
        EXPECT_NEAR(by.y, 6 * 25.4, 0.1) << name;
        EXPECT_NEAR(by.x, 0, 0.1) << name;
    }
    const int picture = job.scheme().byName("Picture")->id;
    EXPECT_NEAR(norm(is->byId(picture)->pose.at - was->byId(picture)->pose.at), 0, 0.01);
}

TEST(Colours, OfWallsAreToldAndOffWhiteIsOne) {
    const auto job = spokenTo(jobWith({"sofa against wall B"}), "paint the walls off white");
    ASSERT_TRUE(job.scheme().dressing.walls);
    EXPECT_EQ(*job.scheme().dressing.walls, *readColour("off white"));
    const auto own = spokenTo(job, "paint the wall behind the sofa navy");
    ASSERT_EQ(own.scheme().dressing.ownWalls.size(), 1U);
    EXPECT_EQ(own.scheme().dressing.ownWalls.begin()->first, 1);
    // The others leave it its own; all of them do not.
    const auto others = spokenTo(own, "the other walls sage");
    EXPECT_EQ(others.scheme().dressing.ownWalls.size(), 1U);
    EXPECT_EQ(*others.scheme().dressing.walls, *readColour("sage"));
    EXPECT_TRUE(spokenTo(own, "paint the room sage").scheme().dressing.ownWalls.empty());
    const auto said = readSpoken("what colour is the wall behind the sofa?", own, listening(0));
    ASSERT_TRUE(said);
    EXPECT_NE(said->answer.words.find("navy"), std::string::npos) << said->answer.words;
    EXPECT_FALSE(readSpoken("paint the chimney breast navy", own, listening(0)));
}
