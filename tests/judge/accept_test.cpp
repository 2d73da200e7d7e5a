// Readings that are left as they are, with a reason: no longer to mend until they get worse.
#include "jobs.h"
#include "judge/accept.h"
#include "judge/say.h"
#include "project/project.h"

using namespace mezzet;
using namespace mezzet::test;

namespace {

Project said(const Project& job, const std::string& line) {
    const auto s = readSaid(line, job);
    EXPECT_TRUE(s) << line << ": " << (s ? "" : s.problem().text());
    return *apply(job, s->edit)->project;
}

Reading gap(const Project& job) {
    for (const Reading& r : readingsOf(job))
        if (r.rule->id == "seat-to-table")
            return r;
    ADD_FAILURE() << "the gap is not read";
    return {};
}

/// A table 8 in from a sofa, where 12 is the least.
Project tooNear() {
    return jobWith({"sofa 84 x 36 against wall A", "coffee table 8 from sofa, centred on sofa"});
}

} // namespace

TEST(Accepted, IsNotToMendAndKeepsItsReason) {
    const auto job = tooNear();
    ASSERT_TRUE(gap(job).toMend());
    const auto kept = said(job, "accept seat-to-table of coffee table because the dog lies there");
    const Reading r = gap(kept);
    EXPECT_FALSE(r.toMend());
    EXPECT_TRUE(r.off()) << "it is as it was";
    EXPECT_EQ(whyAccepted(r, kept.scheme()), "the dog lies there");
    EXPECT_FALSE(remedyFor(r, kept, **sceneOf(kept), readingsOf(kept)));
    // It goes with the job, and is judged again when asked.
    const auto again = readJob(jobText(kept), "job", library());
    ASSERT_TRUE(again);
    EXPECT_EQ((*again)->scheme().accepted, kept.scheme().accepted);
    EXPECT_TRUE(gap(said(kept, "judge coffee table again")).toMend());
}

TEST(Accepted, IsToMendAgainWhenItGetsWorse) {
    const auto kept = said(tooNear(), "accept coffee table because the dog lies there");
    EXPECT_FALSE(gap(said(kept, "coffee table 10 from sofa")).toMend())
        << "better, though not right";
    EXPECT_TRUE(gap(said(kept, "coffee table 7 from sofa")).toMend()) << "worse than was accepted";
    EXPECT_TRUE(gap(said(kept, "coffee table 30 from sofa")).toMend()) << "too far by more";
    const auto right = gap(said(kept, "coffee table 16 from sofa"));
    EXPECT_FALSE(right.accepted) << "there is nothing to accept";
}

TEST(Accepted, NeedsAReasonAndNoTwoThingsInOnePlace) {
    const auto job = tooNear();
    EXPECT_FALSE(readSaid("accept coffee table", job));
    EXPECT_FALSE(readSaid("accept coffee table because", job));
    EXPECT_FALSE(readSaid("accept coffee table since ", job));
    const auto clash = jobWith({"sofa at 8', 8'", "trunk at 8', 8'"});
    const auto s = readSaid("accept clash of trunk because it will do", clash);
    ASSERT_FALSE(s);
    EXPECT_NE(s.problem().what.find("in one place"), std::string::npos) << s.problem().what;
    const auto nothing = readSaid(
        "accept seat-to-table of coffee table because it will do",
        jobWith({"sofa 84 x 36 against wall A", "coffee table 16 from sofa, centred on sofa"}));
    EXPECT_FALSE(nothing);
}

TEST(Accepted, GoesWithItsPiece) {
    const auto kept = said(tooNear(), "accept coffee table because the dog lies there");
    ASSERT_FALSE(kept.scheme().accepted.empty());
    EXPECT_TRUE(said(kept, "remove coffee table").scheme().accepted.empty());
    EXPECT_TRUE(said(kept, "remove sofa").scheme().accepted.empty()) << "what it was measured to";
}

TEST(Accepted, HoldsForAWayWhateverNarrowsIt) {
    // The only way to the window side is 20 in.
    const auto job = jobWith({"bookcase 100 x 12 at 50, 90", "sideboard 100 x 18 at 170, 90"});
    for (const Reading& r : readingsOf(job)) {
        if (!r.toMend() || !canBeAccepted(r))
            continue;
        const Edit e = accepting({&r}, "it is a small house", job.scheme(), job.wording());
        const auto kept = *apply(job, e)->project;
        int same = 0;
        for (const Reading& now : readingsOf(kept))
            if (now.sameAs(r)) {
                EXPECT_FALSE(now.toMend()) << sentenceOf(now, kept.wording());
                ++same;
            }
        EXPECT_GT(same, 0);
    }
}
