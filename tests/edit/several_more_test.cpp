// Galleries, tables with their chairs, what stands across a corner, copies on the other side, and
// names that begin with a verb.
#include "edit/line.h"
#include "fits/ask.h"

#include "jobs.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

std::size_t countOf(const Project& job, const char* kind) {
    return static_cast<std::size_t>(
        std::count_if(job.scheme().pieces.begin(), job.scheme().pieces.end(),
                      [&](const Piece& p) { return p.kind->name == kind; }));
}

} // namespace

TEST(Gallery, IsAGroupOfAsManySetOutAndPlaced) {
    const auto job = jobWith({"a gallery of six 10 x 12 pictures on wall B, centre at 58"});
    EXPECT_EQ(countOf(job, "Picture"), 6U);
    const auto group = std::find_if(job.scheme().pieces.begin(), job.scheme().pieces.end(),
                                    [](const Piece& p) { return p.isGroup(); });
    ASSERT_NE(group, job.scheme().pieces.end());
    EXPECT_EQ(job.scheme().members(group->id).size(), 6U);
    EXPECT_EQ(group->wall(), 1);
    const auto scene = *sceneOf(job);
    EXPECT_NEAR(scene->byId(group->id)->pose.at.y / 25.4, 58, 1e-6);
    for (const Piece* p : job.scheme().members(group->id)) {
        EXPECT_NEAR(p->size.width.inInches(), 10, 1e-9);
        EXPECT_NEAR(p->size.height.inInches(), 12, 1e-9);
    }
}

TEST(Gallery, TakesItsFormFromItsWord) {
    const auto formOf = [](const char* line) {
        const auto job = jobWith({line});
        for (const Piece& p : job.scheme().pieces)
            if (p.isGroup())
                return p.plan.form;
        return GroupForm::asPlaced;
    };
    EXPECT_EQ(formOf("a grid of four 12 x 12 pictures on wall B"), GroupForm::grid);
    EXPECT_EQ(formOf("a row of three 12 x 12 pictures on wall B"), GroupForm::row);
    EXPECT_EQ(formOf("a column of two 12 x 12 pictures on wall B"), GroupForm::column);
}

TEST(Gallery, IsRefusedWithAReason) {
    const auto job = jobWith({});
    for (const char* line :
         {"a gallery of pictures on wall B", "a gallery of 90 pictures on wall B",
          "a gallery of six pictures left 6"})
        EXPECT_FALSE(refusal(job, line).what.empty()) << line;
}

TEST(TableWithChairs, IsSeatedWhereItComesToStand) {
    for (const char* line :
         {"round table 54 at 120, 90 with six chairs", "round table 54 at 120, 90 and six chairs",
          "round table 54 with six chairs at 120, 90"}) {
        const auto job = jobWith({line});
        EXPECT_EQ(job.scheme().pieces.size(), 7U) << line;
        const Vec2 table = poseOf(job, "Round table").at;
        EXPECT_NEAR(table.x / 25.4, 120, 1e-6) << line;
        const auto scene = *sceneOf(job);
        for (const Piece& p : job.scheme().pieces)
            if (p.kind->role == Role::diningChair)
                EXPECT_LT(norm(scene->byId(p.id)->pose.at - table) / 25.4, 60) << line;
    }
    EXPECT_EQ(jobWith({"desk at 120, 90 with a chair"}).scheme().pieces.size(), 2U);
    EXPECT_FALSE(refusal(jobWith({}), "round table 54 with 90 chairs").what.empty());
}

TEST(AcrossACorner, LooksOutOfItWithBothBackCornersAtTheWalls) {
    for (const char* line : {"armchair 30 x 33 in corner AB, at an angle",
                             "armchair 30 x 33 at an angle in corner AB"}) {
        const auto job = jobWith({line});
        const auto scene = *sceneOf(job);
        const Piece& p = *job.scheme().byName("Armchair");
        const Placed& where = *scene->byId(p.id);
        const Vec2 front = where.pose.front();
        EXPECT_NEAR(front.x, -std::sqrt(0.5), 1e-6) << line;
        EXPECT_NEAR(front.y, std::sqrt(0.5), 1e-6) << line;
        // Its outline touches wall A, y 0, and wall B, x 240 in.
        EXPECT_NEAR(extent(where.shape, {0, -1}), 0, 0.01) << line;
        EXPECT_NEAR(extent(where.shape, {1, 0}) / 25.4, 240, 0.001) << line;
    }
    EXPECT_FALSE(refusal(jobWith({"sofa at 120, 90"}), "sofa at an angle").what.empty());
}

TEST(CopyAcross, IsOnTheOtherSideOfWhatItStandsBeside) {
    const auto job =
        jobWith({"sofa 84 x 36 at 120, 60", "side table 20 x 20 left of sofa, 4 from sofa",
                 "copy side table to the other side as Twin"});
    const Vec2 sofa = poseOf(job, "Sofa").at;
    const Vec2 one = poseOf(job, "Side table").at - sofa;
    const Vec2 other = poseOf(job, "Twin").at - sofa;
    EXPECT_NEAR(one.x, -other.x, 0.01);
    EXPECT_NEAR(one.y, other.y, 0.01);
    // It stays tied there: the sofa takes it along.
    const auto after = apply(job, readLine("move sofa 6 right", job)->edit);
    ASSERT_TRUE(after);
    EXPECT_NEAR(poseOf(*after->project, "Twin").at.x - poseOf(job, "Twin").at.x, 6 * 25.4, 0.1);
}

TEST(CopyAcross, MirrorsTheTurnOfWhatIsNotTied) {
    const auto job = jobWith({"coffee table 48 x 24 at 120, 90", "armchair at 80, 120, turned 200",
                              "copy armchair to the other side of coffee table as Twin"});
    const Vec2 table = poseOf(job, "Coffee table").at;
    EXPECT_NEAR(poseOf(job, "Twin").at.x - table.x, table.x - poseOf(job, "Armchair").at.x, 0.01);
    const Vec2 one = poseOf(job, "Armchair").front();
    const Vec2 other = poseOf(job, "Twin").front();
    EXPECT_NEAR(one.x, -other.x, 1e-9);
    EXPECT_NEAR(one.y, other.y, 1e-9);
    EXPECT_FALSE(refusal(job, "copy armchair to the other side").what.empty()) << "of what?";
}

TEST(FitsThere, IsJudgedWhereItIsSaid) {
    const auto job = jobWith({"sofa 84 x 36 x 34 against wall A, centred on wall A"});
    const auto ask = [&](const char* question) { return *askWhatFits(question, job); };
    const auto free = ask("does console 48 x 14 fit against wall D");
    EXPECT_TRUE(free.yes || free.heading.find("fits") != std::string::npos) << free.heading;
    ASSERT_EQ(free.choices.size(), 1U);
    EXPECT_TRUE(apply(job, free.choices[0].edit));
    const auto there = ask("does console 48 x 14 fit at 120, 18");
    EXPECT_FALSE(there.yes);
    EXPECT_TRUE(there.choices.empty()) << "it would stand in the sofa";
    EXPECT_NE(there.reasons[0].find("Sofa"), std::string::npos) << there.reasons[0];
    // What is there already is tried where it would go, and not beside itself.
    const auto moved = ask("does the sofa fit against wall D");
    for (const auto& c : moved.choices)
        EXPECT_EQ(apply(job, c.edit)->project->scheme().pieces.size(), 1U);
}

TEST(Names, ThatBeginWithAVerbAreNames) {
    const auto job =
        jobWith({"floor lamp called Edge lamp at 120, 90", "stool 15 called Lock box at 60, 60",
                 "Edge lamp 6 right", "Lock box 12 from wall A"});
    EXPECT_NEAR(poseOf(job, "Edge lamp").at.x / 25.4, 126, 1e-6);
    EXPECT_FALSE(job.scheme().byName("Lock box")->locked);
}
