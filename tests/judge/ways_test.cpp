// The way through: the narrowest place on the widest way between two doors.
#include "jobs.h"
#include "judge/ways.h"

#include <fmt/format.h>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// A room 20 by 12 feet with doors opposite each other in its short walls.
constexpr const char* through =
    "ceiling 8'\nwall A 20'\nwall B 12'\n door 4' 6\" from left, 36 wide, hinge left, swings "
    "out\nwall "
    "C 20'\nwall D 12'\n door 4' 6\" from left, 36 wide, hinge left, swings out\n";

const Reading* way(const Project& job, std::vector<Reading>& kept) {
    kept = readingsOf(job);
    for (const auto& r : kept)
        if (r.rule->id == "walkway-main")
            return &r;
    return nullptr;
}

/// Two chests that leave a way of so many inches between them, and none round them.
std::vector<std::string> gate(double inches) {
    const double deep = 72 - inches / 2;
    return {
        fmt::format("trunk 20 x {0} x 30 called Upper at 120in, {1}in", deep, deep / 2),
        fmt::format("trunk 20 x {0} x 30 called Southern at 120in, {1}in", deep, 144 - deep / 2)};
}

} // namespace

TEST(WalkwayMain, IsReadAtItsBounds) { // at least 36: ADA 2010 403.5.1, from memory
    std::vector<Reading> kept;
    for (const auto& [inches, verdict] :
         {std::pair{36.0, Verdict::right}, std::pair{35.9, Verdict::tight},
          std::pair{30.0, Verdict::tight}, std::pair{20.0, Verdict::tight}}) {
        const auto job = jobWith(gate(inches), through);
        const auto* r = way(job, kept);
        ASSERT_NE(r, nullptr) << inches;
        EXPECT_NEAR(r->value.value / 25.4, inches, 1e-3);
        EXPECT_EQ(r->verdict, verdict) << inches;
        EXPECT_NEAR(norm(r->at[0] - r->at[1]) / 25.4, inches, 1e-3) << "seen where it is";
    }
}

TEST(WalkwayMain, TheWiderWayRoundCounts) {
    std::vector<Reading> kept;
    // A table in the middle: 40 in to one wall, 30 to the other.
    const auto job = jobWith({"desk 60 x 74 x 30 at 120in, 77in"}, through);
    const auto* r = way(job, kept);
    ASSERT_NE(r, nullptr);
    EXPECT_NEAR(r->value.value / 25.4, 40, 1e-6);
    EXPECT_EQ(words(r->other, job.wording()), "wall A");
}

TEST(WalkwayMain, RugsAreWalkedOverAndOneDoorHasNoWayThrough) {
    std::vector<Reading> kept;
    EXPECT_EQ(way(jobWith({"rug 8' x 10' at 10', 6'"}, through), kept), nullptr);
    EXPECT_EQ(way(jobWith({"sofa against wall A"}), kept), nullptr) << "a room with one door";
    EXPECT_EQ(way(jobWith({}, through), kept), nullptr);
}

TEST(WalkwayMain, APieceBeforeADoorIsInTheWay) {
    std::vector<Reading> kept;
    const auto job = jobWith({"sideboard 60 x 18 at 231in, 72in, turned 90"}, through);
    const auto* r = way(job, kept);
    ASSERT_NE(r, nullptr);
    EXPECT_LT(r->value.value, 1) << "it stands in the door";
    const auto off = jobWith({"sideboard 60 x 18 at 205in, 72in, turned 90"}, through);
    const auto* near = way(off, kept);
    ASSERT_NE(near, nullptr);
    // Its face is 26 in from the wall: who comes out of the door turns beside it.
    EXPECT_NEAR(near->value.value / 25.4, 26, 1e-6);
}

TEST(WalkwayMain, ItsRemedyMakesRoom) {
    std::vector<Reading> kept;
    const auto narrow = jobWith(
        {"bench 20 x 60 x 18 at 120in, 30in", "bench 20 x 40 x 18 called Other at 120in, 112in"},
        through);
    const auto* tight = way(narrow, kept);
    ASSERT_NE(tight, nullptr);
    EXPECT_NEAR(tight->value.value / 25.4, 32, 1e-3);
    const auto remedy = remedyFor(*tight, narrow, **sceneOf(narrow), kept);
    ASSERT_TRUE(remedy);
    const auto said = readLine(remedy->line, narrow);
    ASSERT_TRUE(said) << remedy->line;
    const auto after = apply(narrow, said->edit);
    ASSERT_TRUE(after);
    std::vector<Reading> then;
    const auto* mended = way(*after->project, then);
    EXPECT_TRUE(mended == nullptr || mended->verdict == Verdict::right) << remedy->line;
}

namespace {

std::optional<WayBetween> between(const Project& job, const std::string& from,
                                  const std::string& to) {
    const auto target = [&](const std::string& name) -> std::optional<Target> {
        if (name.empty())
            return {};
        for (const Opening& o : job.room->openings)
            if (o.name() == name)
                return targetOf(o);
        return pieceTarget(job.scheme().byName(name)->id);
    };
    const auto scene = sceneOf(job);
    return wayBetween(FloorView(**scene), *library().book, target(from), *target(to));
}

} // namespace

TEST(WayBetween, IsAsWideAsItsNarrowestPlace) { // a gap between two chests, by a tape
    for (const double inches : {36.0, 30.0, 20.5, 8.0}) {
        const auto w = between(jobWith(gate(inches), through), "door 1", "door 2");
        ASSERT_TRUE(w && w->width) << inches;
        EXPECT_NEAR(w->width->inInches(), inches, 1e-6);
        EXPECT_FALSE(w->isShut());
        EXPECT_EQ(w->narrowBy.is, Target::Is::piece);
        EXPECT_EQ(w->beside.is, Target::Is::piece);
        // It is the same way back.
        const auto back = between(jobWith(gate(inches), through), "door 2", "door 1");
        EXPECT_NEAR(back->width->inInches(), inches, 1e-6);
    }
    const auto shut = between(jobWith(gate(0), through), "door 1", "door 2");
    ASSERT_TRUE(shut && shut->width);
    EXPECT_TRUE(shut->isShut());
    const auto free = between(jobWith({}, through), "door 1", "door 2");
    ASSERT_TRUE(free);
    EXPECT_FALSE(free->width);
}

TEST(WayBetween, GoesToSeatsAndToTheSidesOfOtherThings) {
    auto lines = gate(18);
    lines.emplace_back("sofa 84 x 36 x 34 at 190in, 72in, facing wall D");
    lines.emplace_back("round table 30 called Drum at 190in, 120in");
    const auto job = jobWith(lines, through);
    // From the door beyond the gate it is the gate's width; from the better door it is wider.
    for (const char* to : {"Sofa", "Drum"}) {
        const auto far = between(job, "door 2", to);
        ASSERT_TRUE(far && far->width) << to;
        EXPECT_NEAR(far->width->inInches(), 18, 1e-6) << to;
        const auto best = between(job, "", to);
        ASSERT_TRUE(best) << to;
        EXPECT_EQ(best->from, targetOf(job.room->openings[0])) << to;
        EXPECT_TRUE(!best->width || best->width->inInches() > 18) << to;
    }
    // A room without a door has no way in.
    const auto closed = jobWith({"sofa 84 x 36 x 34 at 100in, 72in"},
                                "ceiling 8'\nwall A 20'\nwall B 12'\nwall C 20'\nwall D 12'\n");
    EXPECT_FALSE(between(closed, "", "Sofa"));
}
