// Lines that speak of what was spoken of last: said again for the other side, for more of them, for
// several, in place of it.
#include "jobs.h"
#include "speech/speech.h"
#include "speech/spoken_names.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A job one line was said to, and who listens after it.
struct After {
    Project job;
    Listener to;
};
After saidTo(const Project& before, const std::string& line) {
    const auto said = readSpoken(line, before, {});
    if (!said)
        throw std::runtime_error(line + ": " + said.problem().text());
    const auto done = apply(before, said->said.edit);
    if (!done)
        throw std::runtime_error(line + ": " + done.problem().text());
    Listener to;
    for (const Piece& p : done->project->scheme().pieces)
        if (before.scheme().byId(p.id) == nullptr)
            to.them.push_back(p.id);
    to.before = line;
    return {*done->project, to};
}
Project andThen(const After& a, const std::string& line) {
    const auto said = readSpoken(line, a.job, a.to);
    EXPECT_TRUE(said) << line << ": " << (said ? "" : said.problem().text());
    if (!said)
        return a.job;
    const auto done = apply(a.job, said->said.edit);
    EXPECT_TRUE(done) << line << ": " << (done ? "" : done.problem().text());
    return done ? *done->project : a.job;
}
std::size_t countOf(const Project& job, const char* kind) {
    const KindPtr of = job.library.kit->byWord(kind);
    return static_cast<std::size_t>(std::count_if(job.scheme().pieces.begin(),
                                                  job.scheme().pieces.end(),
                                                  [&](const Piece& p) { return p.kind == of; }));
}

} // namespace

TEST(SpokenOf, TheSameOnTheOtherSideIsBesideTheSame) {
    const auto one = saidTo(jobWith({"bed on wall A"}), "nightstand left of the bed");
    for (const char* line : {"same again on the other side", "another on the right",
                             "and one on the other side", "matching one on the other side"}) {
        const auto both = andThen(one, line);
        ASSERT_EQ(countOf(both, "nightstand"), 2U) << line;
        // As far from the bed's middle, on its other side, at its head.
        const Vec2 bed = poseOf(both, "Queen bed").at;
        const Vec2 first = poseOf(both, "Nightstand").at;
        const Vec2 second = poseOf(both, "Nightstand 2").at;
        EXPECT_NEAR(second.x - bed.x, bed.x - first.x, 0.01) << line;
        EXPECT_NEAR(second.y, first.y, 0.01) << line;
    }
}

TEST(SpokenOf, OnThatSideTooIsTheLineSaidWithThatSide) {
    const auto one =
        saidTo(jobWith({"sideboard 60 x 18 x 34 on wall D"}), "hutch to the left of the sideboard");
    const auto line = onThatSideToo("hutch to the right too", one.job, one.to);
    EXPECT_EQ(line, "another Display cabinet to the right of the sideboard");
    EXPECT_EQ(onThatSideToo("one on the other side as well", one.job, one.to), line);
    // Of something else it is not said, nor where the line before named no side.
    EXPECT_EQ(onThatSideToo("lamp to the right too", one.job, one.to), "");
    const auto bare = saidTo(jobWith({}), "hutch on wall D");
    EXPECT_EQ(onThatSideToo("hutch to the right too", bare.job, bare.to), "");
    // Without anything spoken of it is nothing.
    EXPECT_EQ(onThatSideToo("hutch to the right too", one.job, {}), "");
}

TEST(SpokenOf, MoreOfThemAreAsLarge) {
    const auto one = saidTo(jobWith({"sofa on wall C"}), "picture 16 x 20 over the sofa");
    EXPECT_EQ(moreOfThose("three more to the right of it, 5 apart", one.job, one.to.them),
              "three 1' 4\" x 1' 8\" pictures 5 right of it, 5 apart");
    EXPECT_EQ(moreOfThose("two more lamps on the sofa", one.job, one.to.them), "");
    EXPECT_EQ(moreOfThose("two more", one.job, one.to.them), "") << "where is not said";
    EXPECT_EQ(moreOfThose("two more", one.job, {}), "");
    const auto now = andThen(one, "two more to the right of it, 5 apart");
    ASSERT_EQ(countOf(now, "picture"), 3U);
    std::vector<double> xs;
    for (const Piece& p : now.scheme().pieces)
        if (p.kind->hangs()) {
            EXPECT_EQ(p.size.width, Length::inches(16));
            xs.push_back(poseOf(now, p.name.c_str()).at.x);
        }
    std::sort(xs.begin(), xs.end());
    EXPECT_NEAR(xs[1] - xs[0], 21 * 25.4, 0.01);
    EXPECT_NEAR(xs[2] - xs[1], 21 * 25.4, 0.01);
}

TEST(SpokenOf, MoreOnATopAreOnThatTop) {
    const auto one = saidTo(jobWith({"console 60 x 14 x 32 on wall D"}), "vase on the console");
    EXPECT_NE(moreOfThose("two more", one.job, one.to.them).find(" on Console"), std::string::npos);
    const auto now = andThen(one, "two more");
    EXPECT_EQ(countOf(now, "vase"), 3U);
    for (const Piece& p : now.scheme().pieces)
        if (p.kind == now.library.kit->byWord("vase"))
            EXPECT_EQ(p.on.piece, now.scheme().byName("Console")->id);
}

TEST(SpokenOf, MadeAPairIsOneMoreBesideIt) {
    const auto one = saidTo(jobWith({}), "armchair on wall B");
    EXPECT_EQ(madeSeveral("make that two", one.job, one.to.them),
              "another Armchair right of Armchair");
    EXPECT_EQ(madeSeveral("make it three", one.job, one.to.them),
              "another Armchair right of Armchair; then another Armchair left of Armchair");
    EXPECT_EQ(madeSeveral("make it a pair of lamps", one.job, one.to.them), "");
    EXPECT_EQ(countOf(andThen(one, "make it a pair"), "armchair"), 2U);
    EXPECT_EQ(countOf(andThen(one, "actually, make that three"), "armchair"), 3U);
}

TEST(SpokenOf, InsteadIsInItsPlace) {
    const auto one = saidTo(jobWith({"sofa on wall C"}), "coffee table 16 in front of the sofa");
    const auto now = andThen(one, "a round one instead");
    EXPECT_EQ(countOf(now, "round coffee table") + countOf(now, "coffee table"), 1U);
    const auto bench = andThen(one, "a bench instead");
    EXPECT_EQ(countOf(bench, "coffee table"), 0U);
    EXPECT_EQ(countOf(bench, "bench"), 1U);
    // Of what is no such thing it is only a new thing, and the table stays.
    EXPECT_EQ(insteadOfThose("a pendant instead", one.job, one.to.them), "");
}

TEST(SpokenOf, ALineOfAnyLengthIsNothingOfTheKind) {
    const auto one = saidTo(jobWith({"sofa on wall C"}), "picture 16 x 20 over the sofa");
    const std::string endless = "another one on " + std::string(5000, 'x') + " the other side";
    EXPECT_EQ(onTheOtherSide(endless, one.job, one.to), "");
    EXPECT_EQ(anotherOfThose(endless, one.job, one.to.them), "");
    EXPECT_EQ(moreOfThose("two more " + endless, one.job, one.to.them), "");
    EXPECT_EQ(insteadOfThose(endless + " instead", one.job, one.to.them), "");
}

TEST(SpokenOf, WhatWasTakenOutSinceIsNotSpokenOf) {
    auto one = saidTo(jobWith({"sofa on wall C"}), "picture 16 x 20 over the sofa");
    one.job = jobWith({"sofa on wall C"});
    for (const char* line : {"another one on wall A", "two more on wall A", "make that two",
                             "same on the other side"}) {
        const auto said = readSpoken(line, one.job, one.to);
        EXPECT_TRUE(!said || said->is == Spoken::Is::answer ||
                    said->said.preview.find("Sofa") == std::string::npos)
            << line;
    }
}
