#include "jobs.h"
#include "judge/rule_code.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A book of one rule with a field put in place of another.
std::string bookWith(const std::string& what = "", const std::string& instead = "") {
    std::string text = R"({"format":"mezzet-rules 1","unit":"in",
 "schools":[{"id":"low-and-close","title":"Low and close","says":"s"},
            {"id":"tall","title":"Tall and airy","says":"t"}],
 "rules":[{"id":"x","title":"Gap to {other}","measures":"m","quantity":"length","band":[12,18],
           "best":[13,15],"right":"fine","tight":"{value} under {low}","loose":"{value} over {high}",
           "source":"common practice","settings":{"reach":48},"numbers":{"turns":2}}]})";
    if (!what.empty()) {
        const auto at = text.find(what);
        if (at == std::string::npos)
            throw std::runtime_error(what);
        text.replace(at, what.size(), instead);
    }
    return text;
}

} // namespace

TEST(Book, ReadsBandsInItsOwnUnit) {
    const auto book = readRuleBook(bookWith(), "b.json");
    ASSERT_TRUE(book) << book.problem().text();
    const Rule& r = *(*book)->byId("x");
    EXPECT_NEAR(*r.bands.at("").low, 12 * 25.4, 1e-9);
    EXPECT_NEAR(*r.bands.at("").bestHigh, 15 * 25.4, 1e-9);
    EXPECT_NEAR(r.setting("reach").inInches(), 48, 1e-9);
    EXPECT_NEAR(r.number("turns"), 2, 1e-9);
    EXPECT_EQ(r.number("not there"), 0);
    const auto metric = readRuleBook(bookWith("\"unit\":\"in\"", "\"unit\":\"mm\""), "b.json");
    EXPECT_NEAR(*(*metric)->byId("x")->bands.at("").low, 12, 1e-9);
}

TEST(Book, FindsSchoolsHoweverTheyAreSaid) {
    const auto book = *readRuleBook(bookWith(), "b.json");
    for (const char* said : {"low-and-close", "Low and close", "close and low", "CLOSE LOW"})
        EXPECT_EQ(book->schoolByWords(said)->id, "low-and-close") << said;
    EXPECT_EQ(book->schoolByWords("airy tall")->id, "tall");
    EXPECT_EQ(book->schoolByWords("low"), nullptr) << "half a name is no name";
}

TEST(Book, RefusesWhatItCantUseAndSaysWhere) {
    const std::pair<const char*, const char*> faults[] = {
        {"\"quantity\":\"length\"", "\"quantity\":\"smell\""},
        {"[12,18]", "[18,12]"},
        {"[12,18]", "[12]"},
        {"[12,18]", "\"twelve\""},
        {"\"band\":[12,18],", ""},
        {"\"band\":[12,18]", "\"bands\":{\"no-such-school\":[1,2]}"},
        {"\"right\":\"fine\"", "\"right\":7"},
        {"\"source\":\"common practice\"", "\"sauce\":\"common practice\""},
        {"\"reach\":48", "\"reach\":\"far\""},
        {"\"id\":\"x\",", ""},
    };
    for (const auto& [what, instead] : faults) {
        const auto r = readRuleBook(bookWith(what, instead), "b.json");
        ASSERT_FALSE(r) << instead;
        EXPECT_NE(r.problem().what.find("rules, entry 1"), std::string::npos) << r.problem().text();
        EXPECT_EQ(r.problem().file, "b.json");
        EXPECT_FALSE(r.problem().remedy.empty()) << instead;
    }
}

TEST(Book, ARuleMayNotComeTwice) {
    const auto one = bookWith();
    const auto open = one.find("\"rules\":[") + 9;
    const auto rule = one.substr(open, one.rfind(']') - open);
    const auto twice = one.substr(0, open) + rule + "," + one.substr(open);
    EXPECT_FALSE(readRuleBook(twice, "b.json"));
}

TEST(Book, TheOneThatShipsHasBothSchoolsAndNoRuleWithoutItsWords) {
    const auto& book = *library().book;
    EXPECT_NE(book.schoolById("low-and-close"), nullptr);
    EXPECT_NE(book.schoolById("viewer-and-air"), nullptr);
    for (const auto& r : book.rules) {
        for (const auto& [school, b] : r.bands) {
            if (b.low)
                EXPECT_FALSE(r.tight.empty()) << r.id;
            if (b.high)
                EXPECT_FALSE(r.loose.empty()) << r.id;
            // A rule without a bound is for information, or each thing has its own band.
            if (!b.low && !b.high)
                EXPECT_TRUE(r.source.find("for information") != std::string::npos ||
                            r.id == "access" || r.id == "seats-count" ||
                            r.id == "screen-distance" || r.id == "shelf-sag" || r.id == "hook" ||
                            r.id == "rug-door" || r.id == "odd-count" || r.id == "shelf-load")
                    << r.id;
        }
        EXPECT_FALSE(r.right.empty()) << r.id;
    }
}

TEST(Judgement, OwnBandsWinOverSchoolsAndSchoolsOverTheJob) {
    const auto& rule = *library().book->byId("seat-to-table");
    Judgement j{"low-and-close", {}};
    EXPECT_NEAR(*j.bandOf(rule).low, 12 * 25.4, 1e-9);
    EXPECT_EQ(j.schoolOf(rule), "low-and-close");
    j.choices["seat-to-table"].school = "viewer-and-air";
    EXPECT_NEAR(*j.bandOf(rule).low, 15 * 25.4, 1e-9);
    EXPECT_EQ(j.schoolOf(rule), "viewer-and-air");
    j.choices["seat-to-table"].band = Band{100, 200, {}, {}};
    EXPECT_NEAR(*j.bandOf(rule).low, 100, 1e-9);
    EXPECT_EQ(j.schoolOf(rule), "own band");
}

TEST(Amounts, AreSaidInTheirOwnWay) {
    const Notation n;
    EXPECT_EQ(words(Amount::of(Length::inches(8)), n), "8\"");
    EXPECT_EQ(words(Amount::ratio(0.571), n), "57 %");
    EXPECT_EQ(words(Amount{Quantity::count, 6}, n), "6");
}

TEST(Why, NeverSaysThatThirtySixIsLessThanThirtySix) {
    const auto job = jobWith({"dining table 72 x 38 35.99in from wall A, centred on wall A, square "
                              "to wall A"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "dining-to-wall", "Dining table", "wall A");
    ASSERT_NE(r, nullptr);
    EXPECT_EQ(r->verdict, Verdict::tight);
    EXPECT_NE(whyOf(*r, job.wording()).find("Just under 36\""), std::string::npos)
        << whyOf(*r, job.wording());
}

TEST(Why, IsSaidInTheJobsUnits) {
    auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A",
                        "coffee table 8 from sofa, centred on sofa", "units cm"});
    const auto all = readingsOf(job);
    const auto* r = find(all, job, "seat-to-table", "Coffee table");
    EXPECT_NE(whyOf(*r, job.wording()).find("30 cm"), std::string::npos);
    EXPECT_EQ(titleOf(*r, job.wording()), "Gap to Sofa");
}

TEST(Book, HasEveryHabitWithinItsOwnBounds) {
    const auto book = library().book;
    for (const auto id : habitIds) {
        const auto it = std::find_if(book->habits.begin(), book->habits.end(),
                                     [&](const Habit& h) { return h.id == id; });
        ASSERT_NE(it, book->habits.end()) << id;
        EXPECT_LE(it->low, it->length) << id;
        EXPECT_GE(it->high, it->length) << id;
        EXPECT_FALSE(it->says.empty()) << id;
    }
    EXPECT_EQ(book->habits.size(), std::size(habitIds));
    EXPECT_FALSE(unpaired(*book));
    auto without = *book;
    without.habits.pop_back();
    EXPECT_TRUE(unpaired(without)) << "a habit that is asked for is missing";
}

TEST(Book, AHabitPastItsBoundsIsRefused) {
    const auto with = [](const char* habit) {
        return bookWith("\"rules\":", std::string("\"habits\":[") + habit + "],\"rules\":");
    };
    EXPECT_TRUE(readRuleBook(with(R"({"id":"chair-drawn","length":1,"between":[0.5,2],
        "says":"x","source":"common practice"})"),
                             "b.json"));
    EXPECT_FALSE(readRuleBook(with(R"({"id":"chair-drawn","length":3,"between":[0.5,2],
        "says":"x","source":"common practice"})"),
                              "b.json"));
    EXPECT_FALSE(readRuleBook(with(R"({"id":"nobody-asks","length":1,"between":[0.5,2],
        "says":"x","source":"common practice"})"),
                              "b.json"));
    EXPECT_FALSE(readRuleBook(with(R"({"id":"chair-drawn","length":1,
        "says":"x","source":"common practice"})"),
                              "b.json"));
}
