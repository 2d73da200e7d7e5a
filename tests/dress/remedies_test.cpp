// What mends the readings of shelves and tabletops: each remedy mends its reading, upsets nothing
// that is guarded, and typed does the same.
#include "dressed_jobs.h"

#include "dress/solve.h"
#include "edit/handed_over.h"
#include "judge/remedy.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

const Reading* wrongOne(const Judged& all, const Project& job, const char* rule,
                        const char* piece) {
    for (const Reading& r : all.readings)
        if (r.rule->id == rule && r.toMend() &&
            (piece == nullptr || job.scheme().byId(r.piece)->name == piece))
            return &r;
    return nullptr;
}

/// The line of the remedy of the first reading of that rule to mend; what is wrong with it fails.
std::string mendedBy(const Project& job, const char* rule, const char* piece = nullptr) {
    const auto scene = *sceneOf(job);
    const auto before = judgeWhole(*scene, *job.library.book, job.judgement);
    const Reading* r = wrongOne(before, job, rule, piece);
    if (r == nullptr) {
        ADD_FAILURE() << "nothing is to mend by " << rule;
        return {};
    }
    const auto remedy = remedyFor(*r, job, *scene, before);
    if (!remedy)
        return {};
    const auto after = apply(job, remedy->edit);
    EXPECT_TRUE(after) << remedy->line;
    const auto judged = judgeWhole(*after->scene, *job.library.book, job.judgement);
    for (const Reading& now : judged.readings)
        EXPECT_FALSE(now.sameAs(*r) && now.toMend()) << remedy->line;
    // Typed, it does the same.
    const auto said = readLine(remedy->line, job);
    EXPECT_TRUE(said) << remedy->line << ": " << (said ? "" : said.problem().text());
    if (said) {
        const auto typed = apply(job, said->edit);
        EXPECT_TRUE(typed) << remedy->line;
        if (typed) {
            const auto again = judgeWhole(*typed->scene, *job.library.book, job.judgement).readings;
            EXPECT_EQ(again.size(), judged.readings.size()) << remedy->line;
        }
    }
    return remedy->line;
}

} // namespace

TEST(DressRemedies, ABookOutsideThePaletteLosesItsJacketOrTurnsItsSpine) {
    auto job = said(bookcase(), {"palette cream and navy, accent brass",
                                 "6 cream books 9 x 6 x 1 in opening 1", "red book in opening 2"});
    const auto line = mendedBy(job, "palette", "Red book");
    EXPECT_TRUE(line == "Red book jacket off" || line == "Red book spine in") << line;
    job = said(bookcase(),
               {"palette cream and navy, accent brass", "emerald vase 5 x 5 x 9 in opening 3"});
    EXPECT_EQ(mendedBy(job, "palette", "Emerald vase"), "remove Emerald vase");
}

TEST(DressRemedies, AnAccentComesFromTheStockAndTooMuchOfItGoes) {
    auto job = said(bookcase(),
                    {"palette cream and navy, accent brass", "5 cream books 9 x 6 x 1 in opening 1",
                     "stock 2 brass spheres 4 dia x 4"});
    EXPECT_TRUE(mendedBy(job, "accent").starts_with("brass sphere in opening 1 of Bookcase"));
    job = said(bookcase(),
               {"palette cream and navy, accent brass", "8 cream books 9 x 6 x 1 in opening 1",
                "brass box 9 x 6 x 6 in opening 1", "brass sphere 3 dia x 3 in opening 1"});
    EXPECT_EQ(mendedBy(job, "accent"), "remove Brass box");
}

TEST(DressRemedies, AnOpeningIsFilledFromTheStock) {
    const auto job = said(bookcase(), {"bud vase 3 x 3 x 4 in opening 1",
                                       "stock white vase 6 x 6 x 9", "stock jar 5 x 5 x 3"});
    EXPECT_EQ(mendedBy(job, "opening-fill"), "white vase in opening 1 of Bookcase");
}

TEST(DressRemedies, AStackIsTurnedRound) {
    const auto job =
        said(bookcase(), {"book 7 x 5 x 1 lying in opening 1", "book 9 x 6 x 1 lying on book"});
    EXPECT_FALSE(mendedBy(job, "stack-order").empty());
}

TEST(DressRemedies, WhatCoversLeanedArtIsMovedAside) {
    const auto job = said(bookcase(), {"lean print 8 x 10 at the back of opening 3, centred",
                                       "vase 7 x 5 x 9 in opening 3, centred"});
    const auto line = mendedBy(job, "leaned-art");
    EXPECT_NE(line.find("Vase"), std::string::npos) << line;
    EXPECT_EQ(line.find("remove"), std::string::npos) << line;
}

TEST(DressRemedies, OneOfALevelPairComesForward) {
    const auto job = said(bookcase(), {"pair of candlesticks in opening 2"});
    const auto line = mendedBy(job, "pair-stagger");
    EXPECT_NE(line.find("2"), std::string::npos) << line;
}

TEST(DressRemedies, ATabletopGetsAnOddOneAndARiser) {
    auto job =
        jobWith({"console 60 x 16 against wall A", "vase 5 x 5 x 9 on console, 6 from left end",
                 "add vase 5 x 5 x 12 on console, 20 from left end"});
    EXPECT_TRUE(mendedBy(job, "odd-count").starts_with("remove"));
    job = jobWith({"console 60 x 16 against wall A", "vase 5 x 5 x 9 on console, 6 from left end",
                   "bowl 5 x 5 x 9 on console, 20 from left end",
                   "box 5 x 5 x 4 on console, 40 from left end"});
    const auto line = mendedBy(job, "three-heights");
    EXPECT_NE(line.find("riser"), std::string::npos) << line;
}

TEST(DressWanted, GoesOnTheListAsThingsToBuy) {
    auto job = said(bookcase(), {"palette cream and navy, accent brass",
                                 "5 cream books 9 x 6 x 1 in opening 1"});
    const auto scene = *sceneOf(job);
    const auto wanted = wantedFor(job, *scene, surfacesOf(job));
    ASSERT_FALSE(wanted.empty());
    const auto change = withEntries(job, asEntries(wanted, job));
    EXPECT_EQ(change.told.size(), wanted.size());
    job = *apply(job, listEdit(job, change, "list"))->project;
    std::size_t listed = 0;
    for (const ListItem& i : jobList(job))
        if (i.piece == 0) {
            ++listed;
            EXPECT_EQ(i.state, ItemState::toFind);
            EXPECT_NE(i.note.find("wide"), std::string::npos);
            EXPECT_TRUE(i.size[0] && *i.size[0] > Length{});
        }
    EXPECT_EQ(listed, wanted.size());
    // Once more, it is there already.
    EXPECT_EQ(withEntries(job, asEntries(wanted, job)).told.size(), 0U);
}
