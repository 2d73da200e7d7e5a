// The fields of a job file that tell of guests, zones, briefs, reasons, own kinds and what was
// thrown away: kept as written, and refused where they can't be meant.
#include "hung.h"
#include "jobs.h"

#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::string text() {
    static const std::string kept = jobText(
        jobWith({"sofa at 10', 4', costs 900", "sofa because it is long", "ottoman at 3', 3'",
                 "round table 48 at 15', 10'", "seat round table with 4",
                 "zone Seating is sofa and ottoman", "brief 6 seats, 8 for guests", "access on",
                 "for guests", "ottoman at 10', 8'", "folding chair called Extra at 3', 12'",
                 "scheme new called Second", "scheme remove", "scheme 1"}));
    return kept;
}

/// The text with one part replaced; the part must be there.
std::string with(const std::string& what, const std::string& instead) {
    auto s = text();
    const auto at = s.find(what);
    if (at == std::string::npos)
        throw std::runtime_error("the job has no " + what);
    return s.replace(at, what.size(), instead);
}

Problem refused(const std::string& job) {
    const auto r = readJob(job, "job.mezzet", library());
    return r ? Problem{} : r.problem();
}

} // namespace

TEST(FloorFields, AreKeptAsWritten) {
    const auto back = readJob(text(), "job.mezzet", library());
    ASSERT_TRUE(back) << back.problem().text();
    EXPECT_EQ(jobText(**back), text());
    const Scheme& s = (*back)->scheme();
    EXPECT_EQ(s.arrangement, Arrangement::guests);
    EXPECT_TRUE(s.byName("Ottoman")->otherwise);
    EXPECT_TRUE(s.byName("Extra")->onlyHere);
    EXPECT_EQ(s.byName("Sofa")->cost, 900);
    EXPECT_EQ(s.byName("Sofa")->reason, "it is long");
    EXPECT_EQ((*back)->thrownAway.size(), 1U);
    EXPECT_TRUE((*back)->judgement.access);
    EXPECT_EQ((*back)->judgement.briefs.begin()->second.guests, 8);
    ASSERT_EQ(s.zones.size(), 1U);
    EXPECT_EQ(s.zones[0].pieces.size(), 2U);
}

TEST(FloorFields, WhatCantBeMeantIsRefusedAndSaysWhere) {
    const std::pair<std::string, std::string> bad[] = {
        {"\"place\": 1", "\"place\": 0"},
        {"\"place\": 2", "\"place\": 5"},
        {"\"places\": 4", "\"places\": 4000"},
        {"\"cost\": 900.0", "\"cost\": -1"},
        {"\"cost\": 900.0", "\"cost\": \"much\""},
        {"\"reason\": \"it is long\"", "\"reason\": 7"},
        {"\"onlyHere\": true", "\"onlyHere\": \"yes\""},
        {"\"access\": true", "\"access\": 3"},
        {"\"guests\": 8", "\"guests\": -8"},
        {"\"guests\": 8", "\"guests\": 8.5"},
        {"\"day\": 6", "\"day\": 100000"},
        {"\"arrangement\": \"guests\"", "\"arrangement\": 5"},
        {"\"name\": \"Seating\"", "\"name\": 5"},
        {"\"otherwise\": {", "\"otherwise\": 5, \"x\": {"}};
    for (const auto& [what, instead] : bad) {
        const auto p = refused(with(what, instead));
        EXPECT_FALSE(p.what.empty()) << what << " as " << instead;
        EXPECT_EQ(p.file, "job.mezzet");
    }
}

TEST(FloorFields, AZoneOfAPieceThatIsNotThereIsRefused) {
    auto s = text();
    const auto zones = s.find("\"zones\"");
    ASSERT_NE(zones, std::string::npos);
    const auto id = s.find('1', s.find("\"pieces\"", zones));
    s.replace(id, 1, "987");
    EXPECT_FALSE(refused(s).what.empty());
}

TEST(FloorFields, ABrokenOwnKindIsRefusedAndAGoodOneIsTaken) {
    const auto front =
        with("\"active\":", "\"kinds\": {\"format\": \"mezzet-kit 1\", \"unit\": \"mm\", "
                            "\"kinds\": [{\"id\": \"own-a\", \"name\": \"Own sofa\", "
                            "\"family\": \"seat\", \"role\": \"sofa\", \"size\": [2000, "
                            "900, 850], \"heights\": {\"seat\": 450}}]},\n \"active\":");
    const auto good = readJob(front, "job.mezzet", library());
    ASSERT_TRUE(good) << good.problem().text();
    EXPECT_TRUE((*good)->library.kit->byWord("own sofa"));
    EXPECT_FALSE(library().kit->byWord("own sofa")) << "the shipped kit stays as it was";
    const auto broken =
        with("\"active\":", "\"kinds\": {\"format\": \"mezzet-kit 1\", \"kinds\": [{\"id\": "
                            "\"own-a\"}]},\n \"active\":");
    EXPECT_FALSE(refused(broken).what.empty());
    const auto taken =
        with("\"active\":", "\"kinds\": {\"format\": \"mezzet-kit 1\", \"kinds\": [{\"id\": "
                            "\"own-a\", \"name\": \"Sofa\", \"family\": \"seat\", \"size\": "
                            "[80, 36, 34], \"heights\": {\"seat\": 18}}]},\n \"active\":");
    EXPECT_FALSE(refused(taken).what.empty()) << "its word means another kind";
}

TEST(FloorFields, AnyFigureChangedIsReadOrRefusedNeverHalf) {
    std::mt19937 random(8);
    int read = 0;
    for (int i = 0; i < 400; ++i) {
        auto s = text();
        // Figures become other figures, which leaves it JSON; now and then any letter does.
        for (int k = 0; k < 3; ++k) {
            const auto at = s.find_first_of(
                "0123456789",
                std::uniform_int_distribution<std::size_t>(0, s.size() - 200)(random));
            if (at != std::string::npos)
                s[at] = static_cast<char>(std::uniform_int_distribution<int>('0', '9')(random));
        }
        if (i % 8 == 0)
            s[std::uniform_int_distribution<std::size_t>(0, s.size() - 1)(random)] =
                static_cast<char>(std::uniform_int_distribution<int>(32, 126)(random));
        const auto r = readJob(s, "job.mezzet", library());
        if (!r) {
            EXPECT_FALSE(r.problem().what.empty());
            continue;
        }
        ++read;
        // What is read can be judged, arranged the other way, and written.
        static_cast<void>(readingsOf(**r));
        const auto other = apply(**r, Edit{"", {SetArrangement{Arrangement::day}}, {}});
        if (other)
            static_cast<void>(jobText(*other->project));
    }
    EXPECT_GT(read, 10);
}

TEST(Bands, UpsideDownAreRefused) {
    const auto bad = readBands(R"({"school": "low-and-close", "rules": {"seat-to-table": )"
                               R"({"band": [450, 300]}}})",
                               "bands.json", *library().book);
    EXPECT_FALSE(bad);
    EXPECT_FALSE(readRuleBook(R"({"format": "mezzet-rules 1", "unit": "in", "schools": [], )"
                              R"("rules": [{"id": "x", "title": "X", "quantity": "length", )"
                              R"("measures": "m", "band": [18, 12], "right": "r", "tight": "t", )"
                              R"("loose": "l", "source": "s"}]})",
                              "book"));
}

TEST(Pictures, ThatWereReplacedDoNotStay) {
    auto job = jobWith({"picture 30 x 24 on wall A"});
    const auto show = [&](const char* key) {
        Piece p = mezzet::test::hungIn(job.scheme()).front();
        p.picture = key;
        const auto next =
            apply(job, {"picture",
                        {PutPicture{key, Picture{key, "from", "iVBORw0KGgo=", 4, 4}}, PutPiece{p}},
                        {}});
        ASSERT_TRUE(next) << next.problem().text();
        job = *next->project;
    };
    show("one");
    show("two");
    ASSERT_TRUE(job.pictures);
    EXPECT_EQ(job.pictures->size(), 1U);
    EXPECT_EQ(job.pictures->count("one"), 0U);
}
