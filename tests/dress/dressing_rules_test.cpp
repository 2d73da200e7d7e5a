// Rules of shelves and tabletops, at, inside and outside their bounds (common practice).
#include "dressed_jobs.h"

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

struct SeenRule {
    bool there = false;
    Verdict verdict = Verdict::note;
    double value = 0;
    std::string instead;
};

/// The reading of a rule about a piece, of one of its parts.
SeenRule ruleOf(const Project& job, const char* rule, const char* piece, int part = 0) {
    for (const Reading& r : readingsOf(job))
        if (r.rule->id == rule && job.scheme().byId(r.piece)->name == piece &&
            (part == 0 || r.part == part))
            return {true, r.verdict, r.value.value, r.instead};
    return {};
}

/// A tall vase in the first opening, which is 12 5/8 in high.
Verdict filledTo(double share) {
    const double high = (84 - 3 - 7 * 0.75) / 6;
    const auto job =
        said(bookcase(), {fmt::format("vase 5 x 5 x {:.5f}in in opening 1", share * high)});
    return ruleOf(job, "opening-fill", "Bookcase", 1).verdict;
}

} // namespace

TEST(OpeningFill, IsHalfToFourFifths) {
    EXPECT_EQ(filledTo(0.5), Verdict::right);
    EXPECT_EQ(filledTo(0.499), Verdict::tight);
    EXPECT_EQ(filledTo(0.8), Verdict::right);
    EXPECT_EQ(filledTo(0.801), Verdict::loose);
    EXPECT_EQ(ruleOf(bookcase(), "opening-fill", "Bookcase", 1).there, false);
    const auto job = said(bookcase(), {"bud vase in opening 1"});
    EXPECT_EQ(ruleOf(job, "opening-fill", "Bookcase", 2).verdict, Verdict::note);
}

TEST(PaletteRule, NamesWhatIsOutsideAndWhatToDo) {
    const auto job =
        said(bookcase(),
             {"palette cream and navy, accent brass", "book 9 x 6 x 1 in opening 1",
              "colour book red", "2 navy boxes in opening 2", "cream bowl in opening 3",
              "brass sphere in opening 4", "print 8 x 10 in opening 5", "colour print emerald"});
    EXPECT_EQ(ruleOf(job, "palette", "Book").verdict, Verdict::loose);
    EXPECT_EQ(ruleOf(job, "palette", "Book").instead, "book");
    EXPECT_EQ(ruleOf(job, "palette", "Print").instead, "flat");
    for (const char* inside : {"Navy box", "Cream bowl", "Brass sphere"})
        EXPECT_FALSE(ruleOf(job, "palette", inside).there) << inside;
    // Its spine in, only its pages are seen.
    EXPECT_FALSE(ruleOf(said(job, {"book spine in"}), "palette", "Book").there);
    const PaletteNow now = paletteOf(job.scheme(), surfacesOf(job));
    ASSERT_EQ(now.families.size(), 2U);
    EXPECT_EQ(colourWord(now.families[1].colour), "navy");
    EXPECT_EQ(now.outside.size(), 2U);
}

TEST(PaletteRule, TakesWhatMostOfAUnitHasWhenNoneIsSaid) {
    const auto job =
        said(bookcase(), {"6 cream books in opening 1", "5 navy books in opening 2",
                          "brass sphere in opening 3", "terracotta vase 5 x 5 x 8 in opening 4"});
    const PaletteNow now = paletteOf(job.scheme(), surfacesOf(job));
    ASSERT_EQ(now.families.size(), 2U);
    EXPECT_EQ(colourWord(now.families[0].colour), "cream");
    EXPECT_EQ(colourWord(now.families[1].colour), "navy");
    ASSERT_TRUE(now.accent);
    double shares = now.accent->share;
    for (const auto& f : now.families)
        shares += f.share;
    EXPECT_EQ(now.outside.size(), 1U);
    EXPECT_LT(shares, 1);
}

TEST(AccentRule, IsThereAndSmall) {
    const auto job =
        said(bookcase(), {"palette cream and navy, accent brass", "10 cream books in opening 1",
                          "10 cream books in opening 2", "brass sphere 4 dia x 4 in opening 2",
                          "brass box 9 x 6 x 6 in opening 3"});
    EXPECT_EQ(ruleOf(job, "accent", "Bookcase", 1).verdict, Verdict::tight);
    EXPECT_EQ(ruleOf(job, "accent", "Bookcase", 2).verdict, Verdict::right);
    // 16 of 10 x 1 1/4 x 9 and 16 square inches.
    EXPECT_NEAR(ruleOf(job, "accent", "Bookcase", 2).value, 16 / (112.5 + 16), 1e-6);
    EXPECT_EQ(ruleOf(job, "accent", "Bookcase", 3).verdict, Verdict::loose);
}

TEST(StackOrder, IsWidestBelow) {
    const auto below = [](double under, const char* more = "") {
        return said(bookcase(), {fmt::format("book {:.3f}in x 6 x 1 lying in opening 1", under),
                                 std::string("book 9 x 6 x 1 lying on book") + more});
    };
    EXPECT_EQ(ruleOf(below(9), "stack-order", "Book 2").verdict, Verdict::right);
    EXPECT_EQ(ruleOf(below(8.75), "stack-order", "Book 2").verdict, Verdict::right);
    EXPECT_EQ(ruleOf(below(8.7), "stack-order", "Book 2").verdict, Verdict::loose);
    EXPECT_NEAR(ruleOf(below(8), "stack-order", "Book 2").value, 25.4, 1e-6);
}

TEST(BookMix, IsSomeOfEach) {
    const auto lying = [](int n) {
        return ruleOf(said(bookcase(), {fmt::format("{} books in opening 1", 10 - n),
                                        fmt::format("stack of {} books in opening 2", n)}),
                      "book-mix", "Bookcase");
    };
    EXPECT_EQ(lying(1).verdict, Verdict::right);
    EXPECT_EQ(lying(8).verdict, Verdict::right);
    EXPECT_NEAR(lying(3).value, 0.3, 1e-9);
    EXPECT_EQ(ruleOf(said(bookcase(), {"10 books in opening 1"}), "book-mix", "Bookcase").verdict,
              Verdict::tight);
    EXPECT_EQ(
        ruleOf(said(bookcase(), {"stack of 7 paperbacks in opening 1"}), "book-mix", "Bookcase")
            .verdict,
        Verdict::loose);
}

TEST(PairStagger, IsAnInchForwardOrHigher) {
    const auto pair = [](const char* how) {
        return ruleOf(
            said(bookcase(), {"lean print 8 x 10 in opening 1, centred",
                              std::string("pair of candlesticks either side of print") + how}),
            "pair-stagger", "Candlestick");
    };
    EXPECT_EQ(pair("").verdict, Verdict::tight);
    EXPECT_EQ(pair(", one 1 forward").verdict, Verdict::right);
    EXPECT_EQ(pair(", one 15/16 forward").verdict, Verdict::tight);
    EXPECT_NEAR(pair(", one 2 forward").value, 50.8, 1e-6);
}

TEST(MaterialMix, IsThreeOrMore) {
    const auto two = said(bookcase(), {"5 books in opening 1", "3 brass boxes in opening 2"});
    EXPECT_EQ(ruleOf(two, "material-mix", "Bookcase").verdict, Verdict::tight);
    EXPECT_EQ(ruleOf(said(two, {"oak box in opening 3"}), "material-mix", "Bookcase").verdict,
              Verdict::right);
}

TEST(Tabletop, GoesByOddNumbersAndThreeHeights) {
    const auto console = jobWith({"console 60 x 14 x 32 against wall A"});
    const auto vases = [&](const std::vector<std::string>& lines) {
        return ruleOf(said(console, lines), "odd-count", "Vase");
    };
    EXPECT_EQ(
        vases({"add vase on console, 5 from left end", "add vase on console, 20 from left end"})
            .verdict,
        Verdict::loose);
    // As far left as right they are a pair.
    EXPECT_EQ(
        vases({"add vase on console, 5 from left end", "add vase on console, 5 from right end"})
            .verdict,
        Verdict::right);
    EXPECT_EQ(
        vases({"add vase on console, 5 from left end", "add vase on console, 20 from left end",
               "add vase on console, 5 from right end"})
            .verdict,
        Verdict::right);
    const auto heights = [&](double last) {
        return ruleOf(
            said(console, {"vase 6 x 6 x 16 on console, 5 from left end",
                           "bowl 10 dia x 5 on console, 20 from left end",
                           fmt::format("box 9 x 6 x {:.3f}in on console, 5 from right end", last)}),
            "three-heights", "Console");
    };
    EXPECT_EQ(heights(8).verdict, Verdict::right);
    EXPECT_EQ(heights(6.01).verdict, Verdict::right);
    EXPECT_EQ(heights(6).verdict, Verdict::tight);
}

TEST(ShelfLoad, IsTheBeamsSag) {
    // By the handbook: one load w in the middle of a beam on two ends bends W L³ / 48 E I, and its
    // own weight 5 w L⁴ / 384 E I. Particleboard of 2.8 GPa and 650 kg/m³, as the data has it.
    const auto job = said(bookcase(), {"book 9 x 6 x 1 in opening 1, centred"});
    const double l = 46.5 * 0.0254;
    const double b = 12 * 0.0254;
    const double h = 0.75 * 0.0254;
    const double ei = 2.8e9 * b * h * h * h / 12;
    const double own = 650 * b * h * 9.80665;
    const double load = kilogramsOf(*job.scheme().byName("Book")) * 9.80665;
    const double bends = (load * l * l * l / 48 + 5 * own * l * l * l * l / 384) / ei * 1000;
    EXPECT_NEAR(ruleOf(job, "shelf-load", "Bookcase", 1).value, bends, bends * 1e-3);
    EXPECT_EQ(ruleOf(job, "shelf-load", "Bookcase", 1).verdict, Verdict::right);
    const auto full = said(bookcase(), {"40 books 11 x 9 x 1 1/8 in opening 1"});
    EXPECT_EQ(ruleOf(full, "shelf-load", "Bookcase", 1).verdict, Verdict::loose);
    // Uprights halve the span.
    EXPECT_EQ(
        ruleOf(said(bookcase(), {"bookcase uprights 1", "20 books 11 x 9 x 1 1/8 in opening 1"}),
               "shelf-load", "Bookcase", 1)
            .verdict,
        Verdict::right);
}

TEST(LeanedArt, IsCoveredAsRaysSayIt) {
    // Random things before a print; every ray from the eye to a point of its front is tried.
    std::mt19937 random(5);
    for (int round = 0; round < 12; ++round) {
        const auto number = [&](double low, double high) {
            return std::uniform_real_distribution<double>(low, high)(random);
        };
        std::vector<std::string> lines{
            fmt::format("lean print 12 x 10 at the back of opening {}, centred", 1 + round % 6)};
        lines.push_back(fmt::format("box {:.2f}in x 3 x {:.2f}in in opening {}, {:.2f}in from left "
                                    "end, 1 from front edge",
                                    number(3, 8), number(2, 9), 1 + round % 6, number(10, 24)));
        lines.push_back(
            fmt::format("sphere {:.2f}in dia x 4 in opening {}, {:.2f}in from right end, "
                        "4 from front edge",
                        number(3, 6), 1 + round % 6, number(10, 22)));
        const auto job = said(bookcase(), lines);
        const auto scene = *sceneOf(job);
        const auto all = surfacesOf(job);
        const DressedSurface& s = all[static_cast<std::size_t>(round % 6)];
        const auto& print = thingIn(s, job, "Print");
        for (const UnitEye& eye : eyesOn(*scene, job.scheme().byName("Bookcase")->id)) {
            const Surface board = *surfaceOf(*scene, s.id);
            const auto own = [&](Vec3 p) {
                const Vec3 d = p + board.origin * -1;
                return Vec3{d.x * board.x.x + d.y * board.x.y, d.x * board.y.x + d.y * board.y.y,
                            d.z};
            };
            const Vec3 from = own(eye.at);
            int hidden = 0;
            constexpr int n = 200;
            for (int i = 0; i < n; ++i)
                for (int k = 0; k < n; ++k) {
                    const Vec3 to{print.at.x + print.size.width.mm() * (i + 0.5) / n, print.front(),
                                  print.at.z + print.size.height.mm() * (k + 0.5) / n};
                    bool met = false;
                    for (const DressedThing& t : s.things) {
                        if (t.id == print.id)
                            continue;
                        const bool round_ = job.scheme().byId(t.id)->name == "Sphere";
                        // Steps along the ray, fine enough for these bodies.
                        for (int step = 1; step < 400 && !met; ++step) {
                            const double k_ = step / 400.0 * 0.25;
                            const Vec3 p{to.x + (from.x - to.x) * k_, to.y + (from.y - to.y) * k_,
                                         to.z + (from.z - to.z) * k_};
                            if (p.z < t.at.z || p.z > t.top())
                                continue;
                            const double x = p.x - (t.at.x + t.size.width.mm() / 2);
                            const double y = p.y - (t.at.y + t.size.depth.mm() / 2);
                            met = round_ ? std::hypot(x, y) < t.size.width.mm() / 2
                                         : std::abs(x) < t.size.width.mm() / 2 &&
                                               std::abs(y) < t.size.depth.mm() / 2;
                        }
                        if (met)
                            break;
                    }
                    hidden += met ? 1 : 0;
                }
            EXPECT_NEAR(coveredShare(*scene, s, print, eye.at), hidden / (1.0 * n * n), 0.02)
                << round << (eye.seated ? " seated" : " standing");
        }
    }
}

TEST(LeanedArt, MayBeHiddenByAThird) {
    const auto hidden = [](const char* size) {
        const auto job = said(bookcase(), {"lean print 12 x 10 at the back of opening 1, centred",
                                           fmt::format("box {} in front of print", size)});
        return ruleOf(job, "leaned-art", "Print", 1);
    };
    EXPECT_EQ(hidden("4 x 2 x 4").verdict, Verdict::right);
    EXPECT_EQ(hidden("11 x 2 x 6").verdict, Verdict::loose);
}
