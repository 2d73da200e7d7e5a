// Tabletops from the stock: the score reckoned again, the best of all, and what stays.
#include "dress/tops.h"

#include "dressed_jobs.h"
#include "things/covered.h"

#include <fmt/format.h>

#include <map>

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project tableAndStock(const std::vector<std::string>& more = {}) {
    std::vector<std::string> lines{"console 54 x 14 x 32 against wall B, centred on wall B",
                                   "stock 2 cream vases 8 x 8 x 14",
                                   "stock brass bowl 10 dia x 5",
                                   "stock 2 navy boxes 9 x 6 x 4",
                                   "stock white figure 5 x 4 x 9",
                                   "stock red vase 6 x 6 x 11",
                                   "palette cream and navy, accent brass"};
    lines.insert(lines.end(), more.begin(), more.end());
    return jobWith(lines);
}

std::vector<DressAnswer> topped(const Project& job, DressWish wish = {}) {
    wish.units = {job.scheme().byName("Console")->id};
    auto found = dressUnits(job, **sceneOf(job), wish);
    if (!found)
        throw std::runtime_error(found.problem().text());
    return *found;
}

Project after(const Project& job, const DressAnswer& a) {
    return *apply(job, a.edit)->project;
}

double scoreOfTop(const Project& job) {
    const auto scene = sceneOf(job);
    const auto all = dressedSurfaces(**scene, job.scheme().byName("Console")->id);
    return topScoreOf(**scene, all.front(), paletteOf(job.scheme(), all)).whole;
}

/// The score as docs/dressing.md tells it, reckoned again from what stands there.
double reckonedTop(const Project& job) {
    const auto all = surfacesOf(job, "Console");
    const auto& top = all.front();
    const PaletteNow palette = paletteOf(job.scheme(), all);
    std::vector<double> heads;
    std::map<std::string, int> materials;
    double onBoard = 0, wide = 0, face = 0, outside = 0, accent = 0, highest = 0;
    for (const DressedThing& t : top.things) {
        const Piece& p = *job.scheme().byId(t.id);
        const double front = p.size.width.mm() * p.size.height.mm();
        const auto family = palette.familyOf(*colourOf(p));
        heads.push_back(t.top());
        highest = std::max(highest, t.top());
        onBoard += t.on == 0 ? 1 : 0;
        wide += t.on == 0 ? p.size.width.mm() : 0;
        face += front;
        outside += family ? 0 : front;
        accent += palette.accent && family == palette.families.size() ? front : 0;
        if (!materialOf(p).empty())
            ++materials[std::string(materialOf(p))];
    }
    std::sort(heads.begin(), heads.end());
    int heights = 0;
    double lowest = -1e9;
    for (const double h : heads)
        if (h > lowest + 25.4) {
            ++heights;
            lowest = h;
        }
    const auto band = [](double f, double low, double high, double past) {
        return f < low ? (low - f) / low : std::min(1.0, std::max(0.0, (f - high) / past));
    };
    const double a = face > 0 ? accent / face : 0;
    return 3 * std::max(0, 3 - heights) / 3.0 + (std::fmod(onBoard, 2) == 1 ? 0 : 2) +
           4 * (face > 0 ? outside / face : 0) +
           (!palette.accent ? 0
            : a <= 0        ? 1
                            : std::clamp((a - 0.3) / 0.3, 0.0, 1.0)) +
           std::max(0, 3 - static_cast<int>(materials.size())) / 3.0 +
           band(wide / top.width, 0.3, 0.7, 0.3) + band(highest / top.width, 0.2, 0.6, 0.4);
}

} // namespace

TEST(DressTop, TheScoreIsReckonedAsTheDocumentTells) {
    const auto job = tableAndStock();
    for (const DressAnswer& a : topped(job)) {
        const auto done = after(job, a);
        EXPECT_NEAR(scoreOfTop(done), reckonedTop(done), 1e-9);
        EXPECT_NEAR(a.score.whole, scoreOfTop(done), 1e-9);
    }
    const auto byHand =
        tableAndStock({"red vase on console", "white figure on console, 4 from left end"});
    EXPECT_NEAR(scoreOfTop(byHand), reckonedTop(byHand), 1e-9);
    EXPECT_GT(scoreOfTop(byHand), 2) << "two are no odd number, and red is no colour of it";
}

TEST(DressTop, HasOddNumbersAndThreeHeights) {
    const auto job = tableAndStock();
    const auto answers = topped(job);
    ASSERT_GE(answers.size(), 2U);
    for (const DressAnswer& a : answers) {
        const auto done = after(job, a);
        const auto things = surfacesOf(done, "Console").front().things;
        EXPECT_EQ(things.size() % 2, 1U);
        for (const Reading& r : readingsOf(done))
            if (r.rule->id == "three-heights" || r.rule->id == "odd-count" ||
                r.rule->id == "clash" || (r.rule->id == "palette" && &a == &answers.front()))
                EXPECT_FALSE(r.toMend()) << r.rule->id;
        // Nothing hangs over the edge, or stands in another.
        for (const DressedThing& t : things) {
            EXPECT_GE(t.at.x, -0.01);
            EXPECT_LE(t.right(), 54 * 25.4 + 0.01);
            EXPECT_GE(t.at.y, -0.01);
            EXPECT_LE(t.front(), 14 * 25.4 + 0.01);
            for (const DressedThing& o : things)
                EXPECT_TRUE(o.id == t.id || o.at.x >= t.right() - 0.01 ||
                            t.at.x >= o.right() - 0.01 || o.at.y >= t.front() - 0.01 ||
                            t.at.y >= o.front() - 0.01);
        }
    }
    EXPECT_LE(answers[0].score.whole, answers[1].score.whole);
}

TEST(DressTop, NoThreeOfTheStockDoBetter) {
    const auto job = tableAndStock();
    const double best = topped(job).front().score.whole;
    const char* names[] = {"cream vase 1", "brass bowl", "navy box 1", "white figure", "red vase"};
    for (int a = 0; a < 5; ++a)
        for (int b = a + 1; b < 5; ++b)
            for (int c = b + 1; c < 5; ++c) {
                auto one = jobWith({});
                one = tableAndStock({fmt::format("{} on console, 2 from left end", names[a]),
                                     fmt::format("{} on console, centred on console", names[b]),
                                     fmt::format("{} on console, 2 from right end", names[c])});
                EXPECT_GE(scoreOfTop(one), best - 1e-9)
                    << names[a] << ", " << names[b] << ", " << names[c];
            }
}

TEST(DressTop, WhatIsLockedOrNotOfTheStockStays) {
    const auto job = tableAndStock({"table lamp on console, 2 from left end",
                                    "red vase on console, 2 from right end", "lock red vase"});
    const auto done = after(job, topped(job).front());
    EXPECT_NE(done.scheme().byName("Table lamp"), nullptr);
    ASSERT_NE(done.scheme().byName("red vase"), nullptr);
    EXPECT_EQ(done.scheme().byName("red vase")->pose, job.scheme().byName("red vase")->pose);
    EXPECT_EQ(surfacesOf(done, "Console").front().things.size() % 2, 1U);
    // Taken again another time, it is no more of them.
    const auto again = after(done, topped(done).front());
    EXPECT_EQ(surfacesOf(again, "Console").front().things.size(),
              surfacesOf(done, "Console").front().things.size());
}

TEST(DressTop, RefusesWhatHasNoTopOrNothingToPutThere) {
    const auto job = jobWith({"console 54 x 14 x 32 against wall B"});
    DressWish wish;
    wish.units = {job.scheme().byName("Console")->id};
    EXPECT_NE(dressUnits(job, **sceneOf(job), wish).problem().what.find("nothing in the stock"),
              std::string::npos);
    const auto large =
        jobWith({"console 54 x 14 x 32 against wall B", "stock clay vase 20 x 20 x 30"});
    EXPECT_NE(dressUnits(large, **sceneOf(large), wish).problem().what.find("has room"),
              std::string::npos);
    EXPECT_FALSE(dressTop(job, **sceneOf(job), 99, wish));
}

TEST(DressScore, AnOpeningIsFullFromFourFifthsOn) {
    const auto fill = [](double high) {
        Spot s;
        s.width = 100;
        s.height = high;
        s.depth = 100;
        return factsOf(200, 100, 100, std::vector<Spot>{s}, {}).fill;
    };
    EXPECT_NEAR(fill(80), 0, 1e-9);
    EXPECT_NEAR(fill(90), 0.5, 1e-9);
    EXPECT_NEAR(fill(100), 1, 1e-9);
    EXPECT_NEAR(fill(50), 0, 1e-9);
    EXPECT_NEAR(fill(25), 0.5, 1e-9);
}

TEST(LeanedArt, IsNotHiddenByWhatIsBehindIt) {
    const auto job = jobWith({"bookcase 48 x 12 x 84 against wall A, 5 shelves",
                              "white vase 8 x 3 x 10 in opening 2, 0 from back edge",
                              "print 9 x 9 in opening 2, 6 from back edge"});
    const auto scene = sceneOf(job);
    for (const DressedSurface& s : surfacesOf(job))
        for (const DressedThing& t : s.things)
            if (job.scheme().byId(t.id)->name == "Print") {
                const auto eyes = eyesOn(**scene, s.id.piece);
                EXPECT_NEAR(coveredShare(**scene, s, t, eyes.front().at), 0, 1e-9);
                return;
            }
    FAIL() << "the print stands nowhere";
}
