// What fits: tables, sofas, rugs, regions, and whether one comes in.
#include "fits/ask.h"
#include "fits/regions.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "jobs.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <cmath>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

const char* hall() {
    return "ceiling 8'\nwall A 20'\n window 8' from left, 6' wide, 4' high, sill 30\nwall B "
           "15'\nwall C "
           "20'\n door 8' from left, 36 wide, 80 high, hinge left, swings out\nwall D 15'";
}

FitAnswer answer(const Project& job, const char* question) {
    auto a = askWhatFits(question, job);
    if (!a)
        throw std::runtime_error(a.problem().text());
    return *a;
}

const FitChoice* choice(const FitAnswer& a, const char* begins) {
    for (const auto& c : a.choices)
        if (c.title.starts_with(begins))
            return &c;
    return nullptr;
}

} // namespace

TEST(TablesThatFit, TheRoundOneIsAsLargeAsTheRoomLessTheChairs) {
    // A room of ten feet by ten: 36 in all round leaves 48.
    const auto job =
        jobWith({}, "ceiling 8'\nwall A 10'\nwall B 10'\nwall C 10'\n door 6in from left, 32 "
                    "wide, hinge left, swings out\nwall D 10'");
    const auto a = answer(job, "table at 5', 5'");
    const auto* round = choice(a, "Round");
    ASSERT_NE(round, nullptr);
    EXPECT_NEAR(round->size.width.inInches(), 48, 1.01);
    EXPECT_LE(round->size.width.inInches(), 48 + 1e-9);
    EXPECT_EQ(round->seats, static_cast<int>(3.14159265 * round->size.width.inInches() / 24));
    EXPECT_LE(norm(round->pose.at - Vec2{1524, 1524}), 30);
}

TEST(TablesThatFit, EveryChoiceKeepsEveryRuleWhenTried) {
    const auto job = jobWith(
        {"sofa against wall D, centred on wall D", "armchair at 6', 3', turned 45"}, hall());
    const auto a = answer(job, "table at 14', 7'");
    ASSERT_FALSE(a.choices.empty());
    EXPECT_TRUE(a.yes);
    const auto before = readingsOf(job);
    for (const auto& c : a.choices) {
        const auto after = apply(job, c.edit);
        ASSERT_TRUE(after) << c.title;
        for (const auto& now : readingsOf(*after->project)) {
            if (!now.toMend())
                continue;
            const bool was = std::any_of(before.begin(), before.end(), [&](const Reading& r) {
                return r.sameAs(now) && r.toMend();
            });
            EXPECT_TRUE(was) << c.title << ": " << whyOf(now, after->project->wording());
        }
    }
}

TEST(TablesThatFit, ATableThatIsThereGivesWayWithItsChairs) {
    const auto job = jobWith(
        {"round table 36 called Supper table at 14', 7'", "seat supper table with 3"}, hall());
    const auto a = answer(job, "table instead of supper table");
    ASSERT_FALSE(a.choices.empty());
    const auto after = apply(job, a.choices.front().edit);
    ASSERT_TRUE(after);
    int tables = 0;
    int chairs = 0;
    for (const auto& p : after->project->scheme().pieces) {
        tables += p.kind->role == Role::diningTable ? 1 : 0;
        chairs += p.kind->role == Role::diningChair ? 1 : 0;
    }
    EXPECT_EQ(tables, 1);
    EXPECT_EQ(chairs, a.choices.front().seats);
}

TEST(TablesThatFit, WhereNoRectangleFitsARoundOneDoesAndItSaysSo) {
    // Canted walls leave a round of room: nine feet across, of eight sides.
    std::string notes = "ceiling 8'\n";
    for (int i = 0; i < 8; ++i)
        notes += fmt::format("wall {} 44in\n{}{}", wallName(i),
                             i == 4 ? " door 5in from left, 34 wide, hinge left, swings out\n" : "",
                             i < 7 ? "corner 135\n" : "");
    const auto job = jobWith({}, notes.c_str());
    const auto c = job.room->middle();
    TableAsked asked;
    asked.near = c;
    const auto a = tablesThatFit(job, asked);
    const auto* round = choice(a, "Round");
    ASSERT_NE(round, nullptr);
    const auto* rectangle = choice(a, "Rectangle");
    if (rectangle == nullptr)
        EXPECT_NE(listed(a.reasons).find("round one does"), std::string::npos);
    else
        EXPECT_LE(rectangle->size.width, round->size.width + Length::inches(8));
}

TEST(TablesThatFit, CanBeStopped) {
    const auto job = jobWith({}, hall());
    TableAsked asked;
    asked.near = {3000, 2000};
    int asks = 0;
    const auto a = tablesThatFit(job, asked, [&] { return ++asks < 2; });
    EXPECT_TRUE(a.stopped);
    EXPECT_LE(asks, 3);
}

TEST(SofasThatFit, FillTheFreeStretchButNotTheWall) {
    const auto job = jobWith({"bookcase 36 x 12 x 78 in corner DA"}, hall());
    const auto a = answer(job, "sofa on wall A");
    ASSERT_FALSE(a.choices.empty());
    for (const auto& c : a.choices)
        EXPECT_LE(c.size.width.inInches(), 0.75 * 240 + 1e-9);
    const auto none =
        answer(jobWith({"wide wardrobe 200 x 25 x 82 against wall D, centred on wall D"},
                       "ceiling 8'\nwall A 20'\nwall B 17'\nwall C 20'\n door 8' from "
                       "left, 36 wide, hinge left, swings out\nwall D 17'"),
               "sofa on wall D");
    EXPECT_TRUE(none.choices.empty());
    EXPECT_FALSE(none.reasons.empty());
}

TEST(RugsThatHold, AllLegsOnOrTheFrontOnesSixInches) {
    const auto job = jobWith({"sofa 84 x 36 x 34 at 10', 4'",
                              "sofa 84 x 36 x 34 called Fronting at 10', 12', turned 180"},
                             hall());
    const auto scene = *sceneOf(job);
    const std::vector<int> seats{1, 2};
    const auto rug = [&](double w, double d) {
        return placed(rectangle(Length::inches(w), Length::inches(d)), {{3048, 2438.4}, {}});
    };
    // Front edges are 60 in apart, backs 132; six inches of each seat want 72.
    EXPECT_EQ(rugHold(*scene, seats, rug(84, 132)), RugHold::allLegs);
    EXPECT_EQ(rugHold(*scene, seats, rug(84, 131.9)), RugHold::frontLegs);
    EXPECT_EQ(rugHold(*scene, seats, rug(84, 72)), RugHold::frontLegs);
    EXPECT_EQ(rugHold(*scene, seats, rug(84, 71.9)), RugHold::none);
    EXPECT_EQ(rugHold(*scene, seats, rug(83.9, 132)), RugHold::none) << "their full front width";
    const auto a = answer(job, "rug for seats");
    ASSERT_FALSE(a.choices.empty());
    for (const auto& c : a.choices)
        EXPECT_TRUE(apply(job, c.edit)) << c.title;
}

TEST(WhereItStands, TheRegionIsExactInAnEmptyRoom) {
    const auto job = jobWith({}, "ceiling 8'\nwall A 10'\nwall B 8'\nwall C 10'\nwall D 8'");
    Piece p = pieceOf(library().kit->byId("trunk"));
    p.size = {Length::inches(40), Length::inches(20), Length::inches(20)};
    p.footprint.corner = {};
    Kind bare = *p.kind;
    bare.use = {};
    bare.opens.clear();
    bare.family = Family::table;
    p.kind = std::make_shared<const Kind>(bare);
    const auto region = allowedRegion(**sceneOf(job), p, Angle::degrees(0));
    ASSERT_EQ(region.outlines.size(), 1U);
    EXPECT_NEAR(signedArea(region.outlines[0]) / (25.4 * 25.4), (120 - 40) * (96 - 20), 2);
}

TEST(WhereItStands, EveryPlaceInTheRegionIsClearAndNonePastIt) {
    const auto job = jobWith({"sofa at 10', 5', turned 20", "round table 48 at 16', 10'",
                              "dresser against wall D, centred on wall D"},
                             hall());
    Piece p = pieceOf(library().kit->byId("sideboard"));
    const auto scene = *sceneOf(job);
    std::mt19937 random(3);
    int in = 0;
    int out = 0;
    for (const double turn : {0.0, 90.0, 180.0, 270.0}) {
        const auto region = allowedRegion(*scene, p, Angle::degrees(turn));
        const auto inside = [&](Vec2 at) {
            bool yes = false;
            for (const auto& ring : region.outlines)
                yes = yes || insideOutline(ring, at);
            for (const auto& ring : region.holes)
                yes = yes && !insideOutline(ring, at);
            return yes;
        };
        for (int i = 0; i < 1500; ++i) {
            const Vec2 at{std::uniform_real_distribution<double>(0, 6096)(random),
                          std::uniform_real_distribution<double>(0, 4572)(random)};
            // The piece and the floor its doors take, as one box.
            const Pose pose{at, Angle::degrees(turn)};
            const double w = p.size.width.mm();
            const double d = p.size.depth.mm();
            const double f = p.kind->use.front.mm();
            const Shape body = placed(rectangle(p.size.width, Length::millimetres(d + f)),
                                      {pose.toRoom({0, f / 2}), pose.turn});
            double clear = 1e9;
            for (const auto& other : scene->floor.placed)
                clear = std::min(clear, gapBetween(body, other.shape).clear().mm());
            for (std::size_t k = 0; k < job.room->stretches(); ++k) {
                const Wall s = job.room->stretchAt(k);
                clear = std::min(clear, gapBetween(body, stretch({s.start, s.end})).clear().mm());
            }
            (void)w;
            if (inside(at)) {
                EXPECT_GT(clear, -1.5) << turn;
                ++in;
            } else {
                ++out;
            }
        }
    }
    EXPECT_GT(in, 100);
    EXPECT_GT(out, 100);
}

TEST(DoesItFit, TellsDoorTurnAndPlace) {
    const char* flat =
        "room Parlour\nceiling 8'\nwall A 16'\nwall B 14'\nwall C 16'\n door 6' from left, "
        "32 wide, 80 high, hinge left, swings out, to Hall\nwall D 14'\n\nroom Hall\n"
        "ceiling 8'\nwall A 12'\n door 4' from left, 32 wide, 80 high, hinge left, swings "
        "in, to Parlour\nwall B 38\nwall C 12'\nwall D 38";
    const auto job = jobWith({}, flat);
    // A chair goes in; a huge sofa does not get round from a hall of 38 in.
    EXPECT_TRUE(answer(job, "does armchair 30 x 33 x 33 fit").yes);
    const auto large = answer(job, "does sofa 110 x 44 x 40 fit");
    EXPECT_FALSE(large.yes);
    EXPECT_NE(listed(large.reasons).find("Not by door 1"), std::string::npos)
        << listed(large.reasons);
    // Nowhere to stand it.
    const auto full = jobWith({"trunk 180 x 150 x 20 at 8', 7'"}, flat);
    EXPECT_FALSE(answer(full, "does sofa 84 x 36 x 34 fit").yes);
}

TEST(ThroughDoor, KnownCases) {
    const auto job =
        jobWith({}, "ceiling 8'\nwall A 16'\nwall B 14'\nwall C 16'\n door 6' from left, 34 "
                    "wide, 80 high, hinge left, swings out\nwall D 14'");
    const Opening& door = job.room->openings.front();
    const auto fits = [&](double w, double d, double h) {
        return throughDoor(job, door, {Length::inches(w), Length::inches(d), Length::inches(h)});
    };
    EXPECT_TRUE(fits(84, 36, 32).fits) << "its height is 32, and the door 32 clear: on its back";
    EXPECT_TRUE(fits(60, 18, 34).fits);
    EXPECT_TRUE(fits(120, 30, 30).fits) << "what lies beyond is not taped";
    EXPECT_FALSE(fits(84, 40, 40).fits) << "no side is under the door's width";
    EXPECT_NE(fits(84, 40, 40).how.find("least side"), std::string::npos);
    EXPECT_TRUE(fits(36, 36, 32).fits);
}

TEST(RectangleFits, AgreesWithTurningItInSmallSteps) { // Carver's condition (1957)
    std::mt19937 random(9);
    const auto any = [&](double low, double high) {
        return std::uniform_real_distribution<double>(low, high)(random);
    };
    int tilted = 0;
    for (int i = 0; i < 3000; ++i) {
        const double a = any(0.5, 2);
        const double b = any(0.5, 2);
        const double p = any(0.3, 2.6);
        const double q = any(0.05, 1.5);
        double best = -1e9; // the most room left at any turn
        for (int k = 0; k <= 4000; ++k) {
            const double t = 1.5707963267948966 * k / 4000;
            best = std::max(best, std::min(a - p * std::cos(t) - q * std::sin(t),
                                           b - p * std::sin(t) - q * std::cos(t)));
        }
        if (std::abs(best) < 2e-3)
            continue; // too near to tell by steps
        EXPECT_EQ(rectangleFits(p, q, a, b), best > 0) << p << " " << q << " in " << a << " " << b;
        tilted +=
            best > 0 && std::min(p, q) <= std::min(a, b) && std::max(p, q) > std::max(a, b) ? 1 : 0;
    }
    EXPECT_GT(tilted, 5) << "some only fit tilted";
}

TEST(LongestRoundCorner, IsTheKnownLadderAndMore) {
    // A ladder of no width: (a^(2/3) + b^(2/3))^(3/2), the textbook problem.
    const auto ladder = [](double a, double b) {
        return std::pow(std::pow(a, 2.0 / 3) + std::pow(b, 2.0 / 3), 1.5);
    };
    EXPECT_NEAR(longestRoundCorner(0, 1, 1), ladder(1, 1), 1e-6);
    EXPECT_NEAR(longestRoundCorner(0, 8, 27), ladder(8, 27), 1e-5); // 13 sqrt 13 = 46.872
    EXPECT_NEAR(longestRoundCorner(0, 8, 27), 46.8721, 1e-3);
    // In equal corridors the tightest turn is at 45 degrees: 2 sqrt 2 a - 2 w.
    EXPECT_NEAR(longestRoundCorner(0.4, 1, 1), 2 * std::sqrt(2.0) - 0.8, 1e-6);
    EXPECT_EQ(longestRoundCorner(2, 1, 3), 0);
}

TEST(Asking, WhatCantBeTakenIsPointedAt) {
    const auto job = jobWith({"sofa at 8', 8'"}, hall());
    for (const char* bad :
         {"", "elephant", "sofa", "sofa on wall Z", "sofa on sofa", "rug for nothing", "where",
          "where sideboard 60 x 900", "does fit", "table at", "table at 5'",
          "table instead of sofa", "does sofa 84 fit tomorrow", "\xff\xfe"}) {
        const auto a = askWhatFits(bad, job);
        ASSERT_FALSE(a) << bad;
        EXPECT_FALSE(a.problem().what.empty()) << bad;
    }
    EXPECT_TRUE(askWhatFits("Where could a sideboard 60 x 18 stand?", job));
    EXPECT_TRUE(askWhatFits("does a sofa 84 x 36 x 34 fit here?", job));
    const auto open = newProject(library(), "room Open\nwall A 10'\nwall B 8'");
    ASSERT_TRUE(open);
    EXPECT_FALSE(askWhatFits("table", **open));
}

TEST(FreeAlong, LeavesOutWhatStandsThereDoorsAndLowSills) {
    const auto job = jobWith({"console 48 x 14 x 32 against wall B, 60 from wall A"});
    const auto scene = *sceneOf(job);
    const auto inches = [&](int wall, double depth, std::optional<Length> high = {}) {
        std::vector<std::pair<int, int>> out;
        for (const auto& [a, b] : freeAlong(*scene, wall, depth * 25.4, high))
            out.emplace_back(static_cast<int>(std::lround(a / 25.4)),
                             static_cast<int>(std::lround(b / 25.4)));
        return out;
    };
    using Stretches = std::vector<std::pair<int, int>>;
    EXPECT_EQ(inches(1, 12), (Stretches{{0, 60}, {108, 180}}));
    EXPECT_EQ(inches(3, 24), (Stretches{{0, 180}})) << "nothing stands at wall D";
    // A window with a sill of 32 is 90 to 150 along wall A; only what is higher minds.
    EXPECT_EQ(inches(0, 12), (Stretches{{0, 240}}));
    EXPECT_EQ(inches(0, 12, Length::inches(36)), (Stretches{{0, 90}, {150, 240}}));
    // The door of wall C, 24 to 56 along it, swings in.
    for (const auto& [from, to] : inches(2, 12))
        EXPECT_TRUE(to <= 24 || from >= 56) << from << " to " << to;
}
