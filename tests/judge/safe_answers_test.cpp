// No answer of the program makes a clash, puts a thing outside, stops a door or blocks a way: every
// remedy, chain, "mend all", snap and fit is tried in random rooms and looked at with the geometry
// alone, not with the rules that made it.
#include "any_room.h"
#include "edit/drag.h"
#include "fits/ask.h"
#include "geometry/gap.h"
#include "geometry/polygon.h"
#include "judge/floor_ways.h"
#include "judge/safe_snap.h"
#include "rounds.h"

#include <fmt/format.h>

#include <cstdlib>
#include <map>
#include <random>

using namespace mezzet;
using namespace mezzet::test;

namespace {

/// What is wrong with a scene, by what it is between: how deep, mm. Of ways, what is missing.
using Wrongs = std::map<std::string, double>;

void add(Wrongs& to, const std::string& what, double by) {
    if (by > 0.02)
        to[what] = std::max(to[what], by);
}

/// A chair may be drawn in under a table.
bool mayTuck(const Piece& a, const Piece& b) {
    const auto seat = [](const Piece& p) {
        return p.kind->role == Role::diningChair || p.kind->role == Role::perch;
    };
    return (seat(a) && b.kind->clearBelow > Length{}) || (seat(b) && a.kind->clearBelow > Length{});
}

Wrongs wrongsOf(const Project& job) {
    Wrongs out;
    const auto held = *sceneOf(job);
    const Scene& s = *held;
    const FloorView floor(s);
    const Room& room = *s.room;
    for (std::size_t i = 0; i < s.floor.placed.size(); ++i) {
        const Piece& p = floor.piece(i);
        const Shape& shape = s.floor.placed[i].shape;
        // Outside: every point of its outline lies on the floor, and no corner of the room in it.
        for (const Vec2 at : outline(shape, Length::millimetres(0.01))) {
            if (insideOutline(room.edge, at))
                continue;
            double off = 1e300;
            for (std::size_t k = 0; k < room.stretches(); ++k) {
                const Wall w = room.stretchAt(k);
                off = std::min(off, norm(at - nearestOn({w.start, w.end}, at)));
            }
            add(out, fmt::format("{} outside", p.id), off);
        }
        for (const Vec2 corner : room.edge) {
            const std::array<Vec2, 1> point{corner};
            add(out, fmt::format("{} outside", p.id),
                gapBetween(shape, convexPolygon(point)).depth.mm());
        }
        if (p.kind->flat())
            continue;
        for (std::size_t k = 0; k < i; ++k)
            if (const Piece& q = floor.piece(k);
                !q.kind->flat() && q.kind->standsOn() == p.kind->standsOn() && !mayTuck(p, q))
                add(out, fmt::format("{} in {}", p.id, q.id),
                    gapBetween(shape, s.floor.placed[k].shape).depth.mm());
        for (const Fixture& f : room.fixtures)
            if (f.takesFloor() && p.size.height > f.up)
                add(out, fmt::format("{} in {}", p.id, f.name()),
                    gapBetween(shape, solid(room, f)).depth.mm());
        for (std::size_t d = 0; d < room.openings.size(); ++d)
            if (const auto swing = doorSwing(room, room.openings[d]))
                add(out, fmt::format("{} before door {}", p.id, d),
                    gapBetween(shape, *swing).depth.mm());
        add(out, fmt::format("{} too high", p.id),
            p.size.height.mm() - room.headroom(s.floor.placed[i].pose.at).mm());
    }
    for (std::size_t i = 0; i < s.walls.placed.size(); ++i) {
        const Piece& p = WallsView(s).hungPiece(i);
        const Box b = bounds(s.walls.placed[i].shape);
        const double length = room.walls[static_cast<std::size_t>(p.wall())].length().mm();
        add(out, fmt::format("{} off its wall", p.id),
            std::max({-b.low.x, b.high.x - length, -b.low.y, b.high.y - room.ceiling.mm()}));
        for (std::size_t k = 0; k < i; ++k)
            if (WallsView(s).hungPiece(k).on == p.on)
                add(out, fmt::format("{} in {}", p.id, WallsView(s).hungPiece(k).id),
                    gapBetween(s.walls.placed[i].shape, s.walls.placed[k].shape).depth.mm());
    }
    // From door to door, up to what a way through a room is to have: 36 in (24 in is enough for
    // nothing that is judged; common practice).
    const double enough = Length::inches(36).mm();
    std::vector<std::size_t> doors;
    for (std::size_t d = 0; d < room.openings.size(); ++d)
        if (isWayIn(room.openings[d]))
            doors.push_back(d);
    const auto ways = floorWays(s, {Length::inches(60), false, {}, {}});
    for (std::size_t a = 0; a < doors.size(); ++a)
        for (std::size_t b = 0; b < a; ++b) {
            const auto pinch = ways.finder.narrowest(
                // Behind its doorway nobody has to fit: a way begins anywhere across it.
                {ways.thresholds[doors[a]], static_cast<int>(doors[a]), false},
                {ways.thresholds[doors[b]], static_cast<int>(doors[b]), false});
            const double width = pinch ? pinch->width.mm() : enough;
            add(out, fmt::format("way {} {}", doors[a], doors[b]), enough - width);
        }
    return out;
}

/// What is worse after than before.
std::string worse(const Wrongs& before, const Wrongs& after) {
    for (const auto& [what, by] : after) {
        const auto old = before.find(what);
        const double was = old == before.end() ? 0 : old->second;
        if (by > was + 0.02)
            return fmt::format("{} by {:.3f} mm, was {:.3f}", what, by, was);
    }
    return {};
}

void expectSame(const Project& a, const Project& b, const std::string& what) {
    ASSERT_EQ(a.scheme().pieces.size(), b.scheme().pieces.size()) << what;
    const auto sa = *sceneOf(a);
    const auto sb = *sceneOf(b);
    for (std::size_t i = 0; i < sa->all.size(); ++i) {
        const Piece& p = a.scheme().pieces[i];
        const Piece& q = b.scheme().pieces[i];
        EXPECT_LT(norm(sa->all[i].pose.at - sb->all[i].pose.at), 0.01) << what << ": " << p.name;
        EXPECT_LT(std::abs(difference(sa->all[i].pose.turn, sb->all[i].pose.turn).inDegrees()),
                  1e-6)
            << what << ": " << p.name;
        EXPECT_LT(abs(p.size.width - q.size.width) + abs(p.size.depth - q.size.depth) +
                      abs(p.size.height - q.size.height),
                  Length::millimetres(0.01))
            << what << ": " << p.name;
        EXPECT_EQ(p.heights, q.heights) << what << ": " << p.name;
        EXPECT_EQ(p.backFinished(), q.backFinished()) << what << ": " << p.name;
        EXPECT_EQ(p.ties.size(), q.ties.size()) << what << ": " << p.name;
    }
}

} // namespace

TEST(SafeAnswers, NoRemedyOrChainCostsAClashAWayADoorOrGoesOutside) {
    int tried = 0;
    int chains = 0;
    for (int seed = 0; seed < rounds(40, 3000); ++seed) {
        const auto job = anyRoom(static_cast<unsigned>(seed));
        const auto scene = *sceneOf(job);
        const auto judged = judgeWhole(*scene, *job.library.book, job.judgement);
        const auto before = wrongsOf(job);
        for (const Reading& r : judged.readings) {
            if (!r.toMend())
                continue;
            const auto remedy = remedyFor(r, job, *scene, judged);
            if (!remedy)
                continue;
            ++tried;
            chains += remedy->moves > 1 ? 1 : 0;
            const auto after = apply(job, remedy->edit);
            ASSERT_TRUE(after) << remedy->line;
            const auto harm = worse(before, wrongsOf(*after->project));
            EXPECT_TRUE(harm.empty()) << "room " << seed << ", for " << sentenceOf(r, job.wording())
                                      << "\n  " << remedy->line << "\n  " << harm;
            // What is shown is what is done: the line, typed, comes to the same.
            const auto typed = readLine(remedy->line, job);
            ASSERT_TRUE(typed) << remedy->line << ": " << typed.problem().text();
            expectSame(*after->project, *apply(job, typed->edit)->project, remedy->line);
        }
    }
    EXPECT_GT(tried, rounds(40, 3000));
    RecordProperty("remedies", tried);
    RecordProperty("chains", chains);
    fmt::print("{} remedies tried, {} of them chains\n", tried, chains);
}

TEST(SafeAnswers, NorDoesMendingAll) {
    for (int seed = 5000; seed < 5000 + rounds(4, 300); ++seed) {
        const auto job = anyRoom(static_cast<unsigned>(seed));
        const auto mended = mendAll(job, {});
        const auto after = apply(job, mended.edit);
        ASSERT_TRUE(after);
        const auto harm = worse(wrongsOf(job), wrongsOf(*after->project));
        EXPECT_TRUE(harm.empty()) << "room " << seed << "\n  " << harm;
        // Nor any of its steps by itself.
        ProjectPtr now = std::make_shared<Project>(job);
        for (const std::string& line : mended.lines) {
            const auto said = readLine(line, *now);
            ASSERT_TRUE(said) << line << ": " << said.problem().text();
            const auto next = apply(*now, said->edit);
            ASSERT_TRUE(next) << line;
            const auto step = worse(wrongsOf(*now), wrongsOf(*next->project));
            EXPECT_TRUE(step.empty()) << "room " << seed << ": " << line << "\n  " << step;
            now = next->project;
        }
        EXPECT_LE(mended.after, mended.before);
    }
}

TEST(SafeAnswers, NorDoesWhatFits) {
    const char* asked[] = {"does floor lamp fit",
                           "does sofa 84 x 36 x 34 fit",
                           "does ottoman fit",
                           "does bookcase fit",
                           "sofa on wall A",
                           "table",
                           "does sideboard 60 x 18 x 34 fit"};
    int tried = 0;
    for (int seed = 9000; seed < 9000 + rounds(56, 1400); ++seed) {
        const auto job = anyRoom(static_cast<unsigned>(seed));
        const auto before = wrongsOf(job);
        const auto answer = askWhatFits(asked[seed % 7], job);
        ASSERT_TRUE(answer);
        for (const FitChoice& c : answer->choices) {
            const auto after = apply(job, c.edit);
            ASSERT_TRUE(after) << c.title;
            ++tried;
            const auto harm = worse(before, wrongsOf(*after->project));
            EXPECT_TRUE(harm.empty())
                << "room " << seed << ", " << asked[seed % 7] << ": " << c.title << "\n  " << harm;
        }
    }
    EXPECT_GT(tried, rounds(14, 350));
}

TEST(SafeAnswers, ASnapThatNarrowsAWayTooNarrowAlreadyIsNotOffered) {
    // A chest of drawers and a trunk before it, 22 in apart: less than one needs to open a drawer
    // and get by. Two inches nearer the trunk lines up with the table.
    const auto job = jobWith({"dresser 40 x 20 against wall A, centred on wall A",
                              "trunk 40 x 20 at 10', 52in", "round table 30 at 110in, 12'"});
    const auto scene = *sceneOf(job);
    const int trunk = job.scheme().byName("Trunk")->id;
    int offered = 0;
    int kept = 0;
    for (double y = -120; y <= 40; y += 4) {
        const auto any = snapFor(job, *scene, trunk, {-200, y}, Length::millimetres(100));
        const auto safe = safeSnapFor(job, *scene, trunk, {-200, y}, Length::millimetres(100));
        offered += any ? 1 : 0;
        kept += safe ? 1 : 0;
        EXPECT_TRUE(any || !safe);
    }
    EXPECT_GT(offered, 0);
    EXPECT_LE(kept, offered);
}

TEST(SafeAnswers, ASnapIsNeverWorseThanTheHand) {
    int snapped = 0;
    for (int seed = 20000; seed < 20000 + rounds(30, 3000); ++seed) {
        const auto job = anyRoom(static_cast<unsigned>(seed));
        const auto scene = *sceneOf(job);
        std::mt19937 random(static_cast<unsigned>(seed));
        std::uniform_real_distribution<double> by(-900, 900);
        for (int k = 0; k < 6; ++k) {
            const auto& pieces = job.scheme().pieces;
            const int id = pieces[random() % pieces.size()].id;
            const Vec2 step{by(random), by(random)};
            const auto snap = safeSnapFor(job, *scene, id, step, Length::millimetres(120));
            if (!snap)
                continue;
            ++snapped;
            const auto hand = apply(job, drag(job, *scene, {id}, step, DragTies::revalue).edit);
            const auto there = apply(job, snappedEdit(job, *scene, id, *snap));
            ASSERT_TRUE(hand && there);
            const auto harm = worse(wrongsOf(*hand->project), wrongsOf(*there->project));
            EXPECT_TRUE(harm.empty()) << "room " << seed << ": " << snap->words << "\n  " << harm;
        }
    }
    EXPECT_GT(snapped, rounds(30, 3000) / 2);
}
