// "The end chairs": those at the ends of a table that is longer than wide.
#include "jobs.h"

using namespace mezzet;
using namespace mezzet::test;

TEST(EndChairs, AreThoseAtATablesEnds) {
    const auto job = jobWith(
        {"dining table 96 x 40 called supper table at 10', 8'", "8 chairs around supper table"});
    const auto chairs = [](const Project& of) {
        int n = 0;
        for (const Piece& p : of.scheme().pieces)
            n += p.kind->role == Role::diningChair ? 1 : 0;
        return n;
    };
    ASSERT_EQ(chairs(job), 8);
    const auto said = readLine("remove the end chairs", job);
    ASSERT_TRUE(said) << said.problem().text();
    const auto now = apply(job, said->edit);
    ASSERT_TRUE(now);
    EXPECT_EQ(chairs(*now->project), 6);
    // Those left stand at its sides.
    const Piece& table = *now->project->scheme().byName("supper table");
    for (const Piece& p : now->project->scheme().pieces)
        if (p.kind->role == Role::diningChair)
            EXPECT_LT(std::abs(table.pose.toLocal(p.pose.at).x), table.size.width.mm() / 2);
    // A round table has none.
    EXPECT_NE(refusal(jobWith({"round table 54 at 10', 8'", "6 chairs around table"}),
                      "remove the end chairs")
                  .what,
              "");
}
