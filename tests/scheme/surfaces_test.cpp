// Surfaces: where each is in the room, what stands on tops and in openings, what hangs from the
// ceiling, and how all that goes along with what carries it.
#include "edit/drag.h"
#include "edit/preview.h"
#include "jobs.h"
#include "project/project.h"
#include "scheme/rug.h"
#include "scheme/surfaces.h"

#include <cmath>

using namespace mezzet;
using namespace mezzet::test;

namespace {

constexpr double in = 25.4;

const Piece& piece(const Project& job, const char* name) {
    return *job.scheme().byName(name);
}

Project said(const Project& job, const std::string& line) {
    auto s = readLine(line, job);
    EXPECT_TRUE(s) << line << ": " << (s ? "" : s.problem().text());
    auto next = apply(job, s->edit);
    EXPECT_TRUE(next) << line << ": " << (next ? "" : next.problem().text());
    return *next->project;
}

/// The middle of a piece's foot in the room, in.
Vec3 foot(const Project& job, const char* name) {
    const auto body = bodyOf(**sceneOf(job), piece(job, name).id);
    EXPECT_TRUE(body) << name;
    return body->foot * (1 / in);
}

Vec2 seen(const Project& job, const char* name) {
    const auto scene = *sceneOf(job);
    const auto* p = scene->fromAbove(piece(job, name).id);
    EXPECT_NE(p, nullptr) << name;
    return p->pose.at / in;
}

} // namespace

TEST(Surfaces, LieInTheRoomWhereTheyAre) {
    const auto job = jobWith({});
    const auto scene = *sceneOf(job);
    // Wall B of a room 240 by 180: it runs from (240, 0) to (240, 180), and looks toward -x.
    const auto b = surfaceOf(*scene, onWall(1));
    ASSERT_TRUE(b);
    const Vec3 p = b->at({30 * in, 50 * in}, Length::inches(2));
    EXPECT_NEAR(p.x, 238 * in, 1e-6);
    EXPECT_NEAR(p.y, 30 * in, 1e-6);
    EXPECT_NEAR(p.z, 50 * in, 1e-6);
    EXPECT_EQ(b->id.handedness(), -1) << "its y runs up, so that clockwise is the other way round";
    EXPECT_NEAR(b->clear.inInches(), 240, 1e-6);
    const auto up = surfaceOf(*scene, theCeiling());
    ASSERT_TRUE(up);
    EXPECT_NEAR(up->at({10 * in, 20 * in}, Length::inches(12)).z, 84 * in, 1e-6);
    EXPECT_EQ(theCeiling().handedness(), 1) << "drawn as in a mirror on the floor";
    EXPECT_FALSE(surfaceOf(*scene, onWall(4)));
    EXPECT_FALSE(surfaceOf(*scene, onTop(77)));
}

TEST(Tops, TakeWhatStandsOnThemAlong) {
    auto job = jobWith({"console 60 x 16 x 32 against wall A, centred on wall A",
                        "table lamp on console, 4 from left end"});
    const Piece& lamp = piece(job, "Table lamp");
    EXPECT_EQ(lamp.on, onTop(piece(job, "Console").id));
    // The lamp is 15 across; the console's left end is at 90, its middle 8 from the wall.
    EXPECT_NEAR(seen(job, "Table lamp").x, 90 + 4 + 7.5, 1e-9);
    EXPECT_NEAR(seen(job, "Table lamp").y, 8, 1e-9);
    EXPECT_NEAR(foot(job, "Table lamp").z, 32, 1e-9);
    job = said(job, "console against wall B, centred on wall B");
    // Turned a quarter: its left end, as one faces it, is nearer wall A.
    EXPECT_NEAR(seen(job, "Table lamp").x, 240 - 8, 1e-9);
    EXPECT_NEAR(seen(job, "Table lamp").y, 90 - 30 + 4 + 7.5, 1e-9);
    job = said(job, "size console 40 x 16 x 30");
    EXPECT_NEAR(seen(job, "Table lamp").y, 90 - 20 + 4 + 7.5, 1e-9);
    job = said(job, "table lamp centred on console, 3 right");
    EXPECT_NEAR(seen(job, "Table lamp").y, 93, 1e-9);
}

TEST(Tops, TurnWithThemWhatStandsOnThem) {
    auto job = jobWith({"desk 60 x 30 at 10', 7', turned 30", "vase on desk, at 20, -5"});
    const double a = 30 * std::acos(-1) / 180;
    EXPECT_NEAR(seen(job, "Vase").x, 120 + 20 * std::cos(a) + 5 * std::sin(a), 1e-9);
    EXPECT_NEAR(seen(job, "Vase").y, 84 + 20 * std::sin(a) - 5 * std::cos(a), 1e-9);
}

TEST(Tops, CarryWhatStandsOnWhatStandsOnThem) {
    auto job = jobWith({"console 60 x 16 x 32 against wall A, centred on wall A",
                        "storage basket on console, at 10, 0"});
    EXPECT_FALSE(readLine("vase on storage basket", job)) << "nothing stands on a basket";
    job = said(job, "floating shelf 36 x 10 x 1 1/2 on wall B, centred on wall B, top at 54");
    job = said(job, "vase on floating shelf, 5 from right end");
    // The right end is farther from wall A; the vase is 8 across and stands over the shelf's
    // middle.
    EXPECT_NEAR(foot(job, "Vase").y, 90 + 18 - 5 - 4, 1e-9);
    EXPECT_NEAR(foot(job, "Vase").x, 240 - 5, 1e-9);
    EXPECT_NEAR(foot(job, "Vase").z, 54, 1e-9);
    EXPECT_EQ((*sceneOf(job))->fromAbove(piece(job, "Vase").id), nullptr)
        << "what stands on a ledge is not on the floor";
}

TEST(Openings, AreCountedFromTheLeftAndFromTheTop) {
    auto job = jobWith({"cube shelves against wall A, centred on wall A",
                        "storage basket in opening 6 of cube shelves"});
    const Piece& unit = piece(job, "Cube shelves");
    // 58 wide and high, four by four between boards of 1: each (58 - 5) / 4 = 13 1/4.
    const auto six = openingOf(unit, 6);
    ASSERT_TRUE(six);
    EXPECT_NEAR(six->left / in, -29 + 1 + 14.25, 1e-9);
    EXPECT_NEAR(six->board / in, 1 + 2 * 14.25, 1e-9);
    EXPECT_NEAR(six->head / in - six->board / in, 13.25, 1e-9);
    EXPECT_FALSE(openingOf(unit, 0));
    EXPECT_FALSE(openingOf(unit, 17));
    EXPECT_NEAR(foot(job, "Storage basket").x, 120 - 29 + 1 + 14.25 + 13.25 / 2, 1e-9);
    EXPECT_NEAR(foot(job, "Storage basket").y, 7.5, 1e-9) << "in the middle of its depth";
    EXPECT_NEAR(foot(job, "Storage basket").z, 29.5, 1e-9);
    const auto box = surfaceOf(**sceneOf(job), inOpening(unit.id, 6));
    ASSERT_TRUE(box);
    EXPECT_NEAR(box->clear.inInches(), 13.25, 1e-9);
    EXPECT_EQ(refusal(job, "vase in opening 17 of cube shelves").what,
              "Cube shelves has 16 openings, and no opening 17");
    EXPECT_NE(refusal(job, "vase in cube shelves").what.find("which of the 16 openings"),
              std::string::npos);
    EXPECT_FALSE(readLine("sofa in opening 2 of cube shelves", job));
    EXPECT_FALSE(readLine("storage basket against wall A", job)) << "it is in its opening";
}

TEST(Openings, OfJobsOfBeforeWereCountedFromTheFoot) {
    const auto job = jobWith({"cube shelves against wall A", "bowl in opening 6 of cube shelves"});
    std::string text = jobText(job);
    const std::string now = "\"version\": 4";
    ASSERT_NE(text.find(now), std::string::npos);
    text.replace(text.find(now), now.size(), "\"version\": 3");
    const auto old = readJob(text, "old", library());
    ASSERT_TRUE(old) << old.problem().text();
    // The second row from the foot is the third of four from the top.
    EXPECT_EQ((*old)->scheme().byName("Bowl")->on.index, 10);
    const auto again = readJob(jobText(**old), "again", library());
    EXPECT_EQ((*again)->scheme().byName("Bowl")->on.index, 10);
}

TEST(Tops, AreOverTheFloorUnderThemWhereThatIsStepped) {
    const auto job = jobWith(
        {"console 60 x 16 x 32 against wall C, centred on wall C", "vase on console, at 10, 0"},
        "room Step\nceiling 8'\nstep 10' from wall A, down 7\nwall A 20'\n"
        "wall B 15'\nwall C 20'\nwall D 15'\n");
    const auto scene = *sceneOf(job);
    const FloorView floor(*scene);
    ASSERT_EQ(floor.piece(1).name, "Vase");
    EXPECT_NEAR(baseOf(floor, 1).inInches(), 32, 1e-9) << "over the floor it stands on";
    EXPECT_NEAR(foot(job, "Vase").z, 32 - 7, 1e-9) << "over the floor at wall A";
}

TEST(Ceilings, HaveWhatHangsOverThings) {
    auto job = jobWith({"dining table 72 x 40 x 30 at 10', 8'", "pendant over dining table"});
    const Piece& light = piece(job, "Pendant");
    EXPECT_TRUE(light.on.isCeiling());
    const auto underside = [&] {
        const auto scene = *sceneOf(job);
        const Piece& p = piece(job, "Pendant");
        return bottomOf(*scene, p, *scene->byId(p.id)).inInches();
    };
    EXPECT_NEAR(poseOf(job, "Pendant").at.x / in, 120, 1e-9);
    EXPECT_NEAR(poseOf(job, "Pendant").at.y / in, 96, 1e-9);
    EXPECT_NEAR(underside(), 63, 1e-9) << "33 over the table, the middle of the rule's band";
    job = said(job, "pendant 36 above dining table");
    EXPECT_NEAR(underside(), 66, 1e-9);
    job = said(job, "dining table at 8', 7'");
    EXPECT_NEAR(poseOf(job, "Pendant").at.x / in, 96, 1e-9) << "it hangs over the table still";
    job = said(job, "pendant 12 below ceiling");
    EXPECT_NEAR(underside(), 96 - 12 - 12, 1e-9) << "it is 12 high";
    job = said(job, "pendant bottom at 7'");
    EXPECT_NEAR(underside(), 84, 1e-9);
    job = said(job, "pendant 40 from wall A");
    EXPECT_NEAR(poseOf(job, "Pendant").at.y / in, 40, 1e-9) << "lights are told by their middles";
    job = said(job, "pendant edge 40 from wall A");
    EXPECT_NEAR(poseOf(job, "Pendant").at.y / in, 40 + 9, 1e-9);
    EXPECT_NE(refusal(job, "pendant under seats").what, "");
    EXPECT_FALSE(readLine("pendant on wall A", job));
    EXPECT_FALSE(readLine("pendant in corner AB, place 1 of 4 at dining table", job));
}

TEST(Ceilings, AreNoFloorToItsRules) {
    const auto floor = jobWith({"sofa against wall A, centred on wall A"});
    const auto both = jobWith({"sofa against wall A, centred on wall A", "pendant over sofa"});
    EXPECT_EQ(readingsOf(floor).size(), readingsOf(both).size());
    EXPECT_EQ((*sceneOf(both))->floor.placed.size(), 1U);
    EXPECT_EQ((*sceneOf(both))->ceiling.placed.size(), 1U);
}

TEST(Carriers, AreNotThemselvesCarriedByWhatTheyCarry) {
    auto job = jobWith({"console against wall A", "table lamp on console"});
    Piece console = piece(job, "Console");
    console.on = onTop(piece(job, "Table lamp").id);
    Edit e;
    e.acts.emplace_back(PutPiece{console});
    EXPECT_FALSE(apply(job, e));
    // Nor does a ring of tops hold in a file.
    auto ring = std::make_shared<Scheme>(job.scheme());
    for (Piece& p : ring->pieces) {
        p.ties.clear();
        p.on = onTop(p.id == 1 ? 2 : 1);
    }
    const auto resolved = resolve(job.room, ring, job.notation);
    ASSERT_FALSE(resolved);
}

TEST(Carriers, ThatGoLeaveWhatTheyCarriedOnTheFloor) {
    auto job = jobWith({"console 60 x 16 x 32 against wall A, centred on wall A",
                        "table lamp on console, 4 from left end"});
    const Vec2 was = seen(job, "Table lamp");
    auto s = readLine("remove console", job);
    ASSERT_TRUE(s);
    auto next = apply(job, s->edit);
    ASSERT_TRUE(next) << next.problem().text();
    ASSERT_EQ(next->notices.size(), 1U);
    EXPECT_EQ(next->notices[0], "Table lamp is on the floor where it was; it was on Console");
    job = *next->project;
    EXPECT_TRUE(piece(job, "Table lamp").on.isFloor());
    EXPECT_NEAR(norm(seen(job, "Table lamp") - was), 0, 1e-9);
}

TEST(Carriers, ArePutAwayAndBroughtOutWithWhatTheyCarry) {
    auto job = jobWith(
        {"side table at 5', 5'", "table lamp on side table", "for guests", "put away side table"});
    EXPECT_EQ(job.scheme().byName("Table lamp"), nullptr);
    EXPECT_EQ(job.scheme().away.size(), 2U);
    job = said(job, "every day");
    ASSERT_NE(job.scheme().byName("Table lamp"), nullptr);
    EXPECT_EQ(piece(job, "Table lamp").on, onTop(piece(job, "Side table").id));
    job = said(job, "for guests");
    job = said(job, "bring out side table");
    ASSERT_NE(job.scheme().byName("Table lamp"), nullptr);
    EXPECT_TRUE(job.scheme().away.empty());
}

TEST(Carriers, AreDraggedWithWhatTheyCarry) {
    auto job = jobWith({"console 60 x 16 x 32 at 10', 7', turned 90", "vase on console, at 10, 0"});
    const auto scene = *sceneOf(job);
    const int vase = piece(job, "Vase").id;
    const int console = piece(job, "Console").id;
    const Vec2 was = seen(job, "Vase");
    // Both at once: the vase goes along, once.
    auto both = apply(job, drag(job, *scene, {console, vase}, {100, 50}, DragTies::revalue).edit);
    ASSERT_TRUE(both);
    EXPECT_NEAR((seen(*both->project, "Vase") - was).x * in, 100, 1e-6);
    EXPECT_NEAR((seen(*both->project, "Vase") - was).y * in, 50, 1e-6);
    // Alone it is moved as seen, however its board is turned.
    auto alone = apply(job, drag(job, *scene, {vase}, {30, -20}, DragTies::revalue).edit);
    ASSERT_TRUE(alone);
    EXPECT_NEAR((seen(*alone->project, "Vase") - was).x * in, 30, 1e-6);
    EXPECT_NEAR((seen(*alone->project, "Vase") - was).y * in, -20, 1e-6);
    EXPECT_NEAR(norm(seen(*alone->project, "Console") - seen(job, "Console")), 0, 1e-9);
}

TEST(Carriers, AreNamedInWhatALineWillDo) {
    const auto job = jobWith({"console 60 x 16 x 32 against wall A, centred on wall A",
                              "desk at 10', 8', turned 180", "vase on console, at 0, 0"});
    const auto will = [&](const std::string& line) {
        auto s = readLine(line, job);
        EXPECT_TRUE(s) << line << ": " << (s ? "" : s.problem().text());
        auto next = apply(job, s->edit);
        EXPECT_TRUE(next) << line;
        return previewOf(job, **sceneOf(job), s->edit, *next);
    };
    const auto says = [&](const std::string& line, const std::string& part) {
        EXPECT_NE(will(line).find(part), std::string::npos) << line << ": " << will(line);
    };
    says("table lamp on console, 4 from left end", "on Console, 4\" from left end");
    says("vase on desk", "oves Vase to top of Desk");
    says("vase at 6, 0", "oves Vase 6\" toward wall B");
    says("vase on the floor", "oves Vase to the floor");
}

TEST(Carriers, AreMirroredWithTheirEndsChanged) {
    auto job = jobWith({"console 60 x 16 x 32 against wall A, centred on wall A",
                        "table lamp on console, 4 from left end"});
    job = said(job, "mirror the layout");
    EXPECT_NEAR(seen(job, "Table lamp").x, 150 - 4 - 7.5, 1e-6);
    ASSERT_FALSE(piece(job, "Table lamp").ties.empty());
    EXPECT_EQ(piece(job, "Table lamp").ties.front().side, Side::right);
}

TEST(JobFiles, KeepEverySurface) {
    const auto job = jobWith({"console against wall A, centred on wall A",
                              "bookcase against wall B", "table lamp on console, 4 from left end",
                              "storage basket in opening 2 of bookcase, 1 from front edge",
                              "pendant over console, 40 above console", "picture on wall C"});
    const auto text = jobText(job);
    const auto again = readJob(text, "surfaces", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), text);
    for (const Piece& p : job.scheme().pieces) {
        const Piece* q = (*again)->scheme().byId(p.id);
        ASSERT_NE(q, nullptr);
        EXPECT_EQ(q->on, p.on) << p.name;
        EXPECT_NEAR((q->off - p.off).mm(), 0, 1e-9) << p.name;
        EXPECT_EQ(q->ties, p.ties) << p.name;
    }
    // A file that names a surface that is not there is refused.
    auto broken = text;
    broken.replace(broken.find("\"number\": 2"), 11, "\"number\": 9");
    EXPECT_FALSE(readJob(broken, "broken", library()));
}

TEST(JobFiles, OfTheSecondFormatHaveRugsAsThickAsTheyWere) {
    // Their height had a pad of 1/4 in in it: rug and pad together are what they were.
    const auto path = std::string(MEZZET_TEST_CASES) + "/jobs/format-2-lantern-row.mezzet";
    const auto old = openJob(path, library());
    ASSERT_TRUE(old) << old.problem().text();
    int rugs = 0;
    for (const auto& s : (*old)->schemes)
        for (const Piece& p : s->pieces)
            if (p.kind->flat()) {
                EXPECT_NEAR((p.size.height + padUnder(p, Length::inches(0.25))).inInches(), 0.5,
                            1e-9)
                    << p.name;
                ++rugs;
            }
    EXPECT_GT(rugs, 2);
    const auto text = jobText(**old);
    EXPECT_EQ(jobText(**readJob(text, "again", library())), text);
}

TEST(JobFiles, OfTheFirstFormatOpenAsTheyWere) {
    const auto path = std::string(MEZZET_TEST_CASES) + "/jobs/format-1-lantern-row.mezzet";
    const auto old = openJob(path, library());
    ASSERT_TRUE(old) << old.problem().text();
    std::size_t hung = 0;
    std::size_t standing = 0;
    for (const auto& s : (*old)->schemes)
        for (const Piece& p : s->pieces)
            ++(p.onWall() ? hung : standing);
    EXPECT_GT(hung, 10U);
    EXPECT_GT(standing, 30U);
    const auto text = jobText(**old);
    EXPECT_NE(text.find("\"version\": 4"), std::string::npos);
    EXPECT_EQ(text.find("\"hung\": ["), std::string::npos);
    const auto again = readJob(text, "again", library());
    ASSERT_TRUE(again) << again.problem().text();
    EXPECT_EQ(jobText(**again), text);
    // Nothing has moved: every place is the one the old file has.
    for (std::size_t i = 0; i < (*old)->schemes.size(); ++i) {
        const auto scene = resolve((*old)->roomOf(i), (*old)->schemes[i], (*old)->notation);
        ASSERT_TRUE(scene);
        for (std::size_t k = 0; k < (*scene)->all.size(); ++k)
            EXPECT_NEAR(norm((*scene)->all[k].pose.at - (*scene)->scheme->pieces[k].pose.at), 0,
                        1e-5);
    }
}
