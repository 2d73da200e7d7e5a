// What the quality bar asks of speed, measured: 60 pieces resolved and judged, a step of a drag, a
// board repainted, and gaps beside GEOS on the same pieces in the same run.
#include "jobs.h"

#include "app/board/board.h"
#include "app/look/style.h"
#include "app/window/main_window.h"
#include "dxf/dxf.h"
#include "fits/ask.h"
#include "geometry/gap.h"
#include "hang/group_solver.h"
#include "judge/remedy.h"
#include "judge/rule_code.h"
#include "ways/widest.h"

#include <QApplication>
#include <QImage>

#include <benchmark/benchmark.h>
#include <fmt/format.h>
#include <geos_c.h>

#include <fstream>
#include <random>

using namespace mezzet;

namespace {

/// A hall of 40 by 30 feet with sixty pieces, half of them tied to others.
const Project& sixty() {
    static const Project job = [] {
        Project now = **newProject(
            library(), "wall A 40'\n window 4' from left, 6' wide\nwall B 30'\nwall C 40'\n door "
                       "4' from left, 36 wide, hinge left, swings in, undercut 3/4\nwall D 30'");
        const auto say = [&](const std::string& line) { sayTo(now, line); };
        for (int g = 0; g < 6; ++g) {
            const int x = 80 + (g % 3) * 150;
            const int y = 70 + (g / 3) * 160;
            say(fmt::format("sofa called Sofa {0} at {1}in, {2}in, turned {3}", g, x, y, g * 15));
            say(fmt::format("coffee table called Low {0} 14 from Sofa {0}, centred on Sofa {0}",
                            g));
            say(fmt::format("armchair called Chair {0} 14 left of Low {0}, centred on Low {0}", g));
            say(fmt::format("side table called Side {0} 2 right of Sofa {0}, centred on Sofa {0}",
                            g));
            say(fmt::format("rug called Rug {0} under Sofa {0} and Low {0}", g));
            say(fmt::format("round table 44 called Table {0} at {1}in, {2}in", g, x + 60, y + 80));
            for (int c = 0; c < 4; ++c)
                say(fmt::format(
                    "dining chair called Seat {0} no{1}, 1 {2} Table {0}, centred on Table {0}", g,
                    c,
                    c == 0   ? "in front of"
                    : c == 1 ? "behind"
                    : c == 2 ? "left of"
                             : "right of"));
        }
        return now;
    }();
    return job;
}

void resolveAndJudge(benchmark::State& state) {
    const Project& job = sixty();
    std::size_t readings = 0;
    for (auto _ : state) {
        auto scene = sceneOf(job);
        readings = judge(**scene, *job.library.book, job.judgement).size();
        benchmark::DoNotOptimize(readings);
    }
    state.counters["pieces"] = static_cast<double>(job.scheme().pieces.size());
    state.counters["readings"] = static_cast<double>(readings);
}
BENCHMARK(resolveAndJudge)->Unit(benchmark::kMillisecond);

void stepOfADrag(benchmark::State& state) {
    const Project& job = sixty();
    const auto scene = *sceneOf(job);
    const int sofa = job.scheme().byName("Sofa 0")->id;
    double x = 0;
    for (auto _ : state) {
        x += 3.175;
        const auto d = drag(job, *scene, {sofa}, {std::fmod(x, 400), 0}, DragTies::revalue);
        const auto after = apply(job, d.edit);
        benchmark::DoNotOptimize(judge(*after->scene, *job.library.book, job.judgement).size());
    }
}
/// A room of four walls with thirty things on them, two mirrors among them, and furniture before
/// them: what all wall readings take.
const Project& hungWalls() {
    static const Project job = [] {
        Project now = **newProject(
            library(),
            "wall A 20'\n window 4' from left, 6' wide\n outlet 30 from left, 14 up\nwall "
            "B 16'\n studs 16 apart, first 14 from left\nwall C 20'\n door 4' from left, "
            "36 wide, hinge left\nwall D 16'");
        const auto say = [&](const std::string& line) { sayTo(now, line); };
        say("sofa against wall B, centred on wall B");
        say("sideboard against wall D, centred on wall D");
        for (int i = 0; i < 4; ++i)
            say(fmt::format("armchair called Chair {} at {}', 8'", i, 4 + 3 * i));
        for (int i = 0; i < 28; ++i)
            say(fmt::format("picture 10 x 12 called P{} on wall {}, at {}, {}", i, "BD"[i % 2],
                            14 + 12 * (i / 2), 50 + 14 * (i % 3)));
        say("mirror 24 x 36 on wall A called M1, 20 from right corner");
        say("mirror 24 x 36 on wall C called M2, 20 from right corner");
        return now;
    }();
    return job;
}

void wallReadings(benchmark::State& state) {
    const Project& job = hungWalls();
    const auto scene = *sceneOf(job);
    RuleBook walls = *job.library.book;
    std::erase_if(walls.rules, [](const Rule& r) {
        const auto* code = codeOf(r.id);
        return std::none_of(hangingRules().begin(), hangingRules().end(),
                            [&](const RuleCode& c) { return &c == code; }) &&
               std::none_of(wallRules().begin(), wallRules().end(),
                            [&](const RuleCode& c) { return &c == code; });
    });
    for (auto _ : state)
        benchmark::DoNotOptimize(judge(*scene, walls, job.judgement));
}
BENCHMARK(wallReadings)->Unit(benchmark::kMillisecond);

/// A salon of so many sizes set out, four clearly different answers.
void setOutSalon(benchmark::State& state) {
    std::mt19937 random(4);
    std::uniform_int_distribution<int> side(6, 30);
    GroupAsk ask;
    for (int i = 0; i < state.range(0); ++i)
        ask.items.push_back(
            {i + 1, Length::inches(side(random)), Length::inches(side(random)), {}});
    for (auto _ : state) {
        ++ask.seed; // what was asked before is remembered
        benchmark::DoNotOptimize(arrangeGroup(ask));
    }
}
BENCHMARK(setOutSalon)->Arg(9)->Arg(12)->Arg(40)->Unit(benchmark::kMillisecond);

BENCHMARK(stepOfADrag)->Unit(benchmark::kMillisecond);

void boardRepaint(benchmark::State& state) {
    app::JobSession session(library());
    session.open(std::make_shared<const Project>(sixty()), {});
    app::Board board(session);
    board.resize(800, 700);
    board.zoomToFit();
    QImage image(800, 700, QImage::Format_ARGB32_Premultiplied);
    for (auto _ : state)
        board.render(&image);
}
BENCHMARK(boardRepaint)->Unit(benchmark::kMillisecond);

/// A room of forty corners, taped all round with twenty diagonals: sixty runs, and its corners.
std::string fortyCorners(bool slipped) {
    std::string out = "units mm\n";
    // A comb of ten teeth: right and outside corners in turn.
    std::vector<Vec2> c{{0, 0}};
    for (int i = 0; i < 10; ++i) {
        const double x = c.back().x;
        c.push_back({x + 900, 0});
        if (i == 9)
            break;
        c.push_back({x + 900, 400});
        c.push_back({x + 1300, 400});
        c.push_back({x + 1300, 0});
    }
    c.push_back({c.back().x, 5000});
    c.push_back({0, 5000});
    const auto run = [&](std::size_t a, std::size_t b) { return norm(c[b] - c[a]); };
    for (std::size_t i = 0; i < c.size(); ++i) {
        const std::size_t j = (i + 1) % c.size();
        const Vec2 here = c[j] - c[i];
        const Vec2 next = c[(j + 1) % c.size()] - c[j];
        out += fmt::format("wall {} {:.1f}\n", wallName(static_cast<int>(i)),
                           run(i, j) - (slipped && i == 12 ? 304.8 : 0));
        if (cross(here, next) < 0)
            out += "corner out\n";
    }
    for (std::size_t i = 0; i < 20; ++i)
        out += fmt::format("diagonal {} to {} {:.1f}\n", wallName(static_cast<int>(i + 1)),
                           wallName(static_cast<int>(c.size()) - 1), run(i + 1, c.size() - 1));
    return out;
}

void adjustFortyCorners(benchmark::State& state) {
    const auto notes = readTapeNotes(fortyCorners(state.range(0) != 0))->front();
    const auto raw = traverse(notes);
    for (auto _ : state)
        benchmark::DoNotOptimize(fit(notes, raw).suspects.size());
    const auto f = fit(notes, raw);
    state.counters["corners"] = static_cast<double>(notes.walls.size());
    state.counters["observations"] = static_cast<double>(f.items.size());
    state.counters["suspects"] = static_cast<double>(f.suspects.size());
}
BENCHMARK(adjustFortyCorners)->Arg(0)->Arg(1)->ArgName("slipped")->Unit(benchmark::kMillisecond);

/// The same, from the text as it is typed to the room that is drawn.
void readAndBuildFortyCorners(benchmark::State& state) {
    const auto text = fortyCorners(false);
    for (auto _ : state)
        benchmark::DoNotOptimize(roomsFromNotes(text)->size());
}
BENCHMARK(readAndBuildFortyCorners)->Unit(benchmark::kMillisecond);

void readDxfOfFiftyThousand(benchmark::State& state) {
    const auto path = std::filesystem::temp_directory_path() / "mezzet-bench.dxf";
    {
        std::ofstream out(path);
        out << "0\nSECTION\n2\nENTITIES\n";
        for (int i = 0; i < 50000; ++i)
            out << fmt::format("0\nLINE\n8\n{}\n10\n{}\n20\n{}\n11\n{}\n21\n{}\n",
                               i % 5 == 0 ? "WALLS" : "OTHER", (i % 250) * 100, (i / 250) * 100,
                               (i % 250) * 100 + 80, (i / 250) * 100 + (i % 3) * 40);
        out << "0\nENDSEC\n0\nEOF\n";
    }
    for (auto _ : state)
        benchmark::DoNotOptimize(readDxf(path)->lines.size());
    std::filesystem::remove(path);
}
BENCHMARK(readDxfOfFiftyThousand)->Unit(benchmark::kMillisecond);

std::vector<Shape> boxes() {
    std::mt19937 random(5);
    std::uniform_real_distribution<double> where(0, 8000);
    std::uniform_real_distribution<double> turn(0, 360);
    std::vector<Shape> out;
    for (int i = 0; i < 60; ++i)
        out.push_back(placed(rectangle(Length::millimetres(900), Length::millimetres(500)),
                             {{where(random), where(random)}, Angle::degrees(turn(random))}));
    return out;
}

void gapsOfSixtyHere(benchmark::State& state) {
    const auto all = boxes();
    for (auto _ : state) {
        double sum = 0;
        for (std::size_t i = 0; i < all.size(); ++i)
            for (std::size_t k = 0; k < i; ++k)
                sum += gapBetween(all[i], all[k]).apart.mm();
        benchmark::DoNotOptimize(sum);
    }
}
BENCHMARK(gapsOfSixtyHere)->Unit(benchmark::kMicrosecond);

void gapsOfSixtyByGeos(benchmark::State& state) {
    auto* h = GEOS_init_r();
    std::vector<GEOSGeometry*> all;
    for (const auto& s : boxes()) {
        auto c = outline(s);
        c.push_back(c.front());
        auto* seq = GEOSCoordSeq_create_r(h, static_cast<unsigned>(c.size()), 2);
        for (unsigned i = 0; i < c.size(); ++i)
            GEOSCoordSeq_setXY_r(h, seq, i, c[i].x, c[i].y);
        all.push_back(GEOSGeom_createPolygon_r(h, GEOSGeom_createLinearRing_r(h, seq), nullptr, 0));
    }
    for (auto _ : state) {
        double sum = 0;
        for (std::size_t i = 0; i < all.size(); ++i) {
            for (std::size_t k = 0; k < i; ++k) {
                double d = 0;
                GEOSDistance_r(h, all[i], all[k], &d);
                sum += d;
            }
        }
        benchmark::DoNotOptimize(sum);
    }
    for (auto* g : all)
        GEOSGeom_destroy_r(h, g);
    GEOS_finish_r(h);
}
BENCHMARK(gapsOfSixtyByGeos)->Unit(benchmark::kMicrosecond);

/// The widest way across a floor of sixty boxes, pairs and all.
void widestWayHere(benchmark::State& state) {
    const auto things = boxes();
    for (auto _ : state) {
        std::vector<Block> blocks;
        for (const Shape& s : things)
            blocks.push_back({s.parts[0], 0, {-1, -1}});
        const WayFinder ways(blocks, Length::metres(2));
        const auto pinch = ways.narrowest({{-500, 4000}}, {{8500, 4000}});
        benchmark::DoNotOptimize(pinch);
    }
}
BENCHMARK(widestWayHere)->Unit(benchmark::kMicrosecond);

/// The same by bisection: does the floor less the boxes, grown by a radius, still join the places?
void widestWayByGeosBuffers(benchmark::State& state) {
    auto* h = GEOS_init_r();
    std::vector<GEOSGeometry*> all;
    const auto polygon = [&](std::vector<Vec2> c) {
        c.push_back(c.front());
        auto* seq = GEOSCoordSeq_create_r(h, static_cast<unsigned>(c.size()), 2);
        for (unsigned i = 0; i < c.size(); ++i)
            GEOSCoordSeq_setXY_r(h, seq, i, c[i].x, c[i].y);
        return GEOSGeom_createPolygon_r(h, GEOSGeom_createLinearRing_r(h, seq), nullptr, 0);
    };
    for (const auto& s : boxes())
        all.push_back(polygon(outline(s)));
    auto* many = GEOSGeom_createCollection_r(h, GEOS_MULTIPOLYGON, all.data(),
                                             static_cast<unsigned>(all.size()));
    auto* solid = GEOSUnaryUnion_r(h, many);
    auto* floor = polygon({{-3000, -3000}, {11000, -3000}, {11000, 11000}, {-3000, 11000}});
    auto* from = GEOSGeom_createPointFromXY_r(h, -500, 4000);
    auto* to = GEOSGeom_createPointFromXY_r(h, 8500, 4000);
    for (auto _ : state) {
        double low = 0, high = 1000;
        while (high - low > 0.5) {
            const double r = (low + high) / 2;
            auto* grown = GEOSBuffer_r(h, solid, r, 16);
            auto* free = GEOSDifference_r(h, floor, grown);
            bool joined = false;
            for (int i = 0; i < GEOSGetNumGeometries_r(h, free) && !joined; ++i) {
                const auto* part = GEOSGetGeometryN_r(h, free, i);
                joined = GEOSIntersects_r(h, part, from) == 1 && GEOSIntersects_r(h, part, to) == 1;
            }
            GEOSGeom_destroy_r(h, free);
            GEOSGeom_destroy_r(h, grown);
            (joined ? low : high) = r;
        }
        benchmark::DoNotOptimize(low);
    }
    for (auto* g : {many, solid, floor, from, to})
        GEOSGeom_destroy_r(h, g);
    GEOS_finish_r(h);
}
BENCHMARK(widestWayByGeosBuffers)->Unit(benchmark::kMicrosecond);

/// A flat of five rooms with fifty pieces each, all resolved and judged.
void flatOfFiveRooms(benchmark::State& state) {
    static const std::vector<Project> rooms = [] {
        std::vector<Project> out;
        for (int r = 0; r < 5; ++r) {
            Project now = **newProject(
                library(),
                "wall A 34'\n window 4' from left, 6' wide\nwall B 28'\n door 3' from left, 34 "
                "wide, hinge left, swings out\nwall C 34'\n door 4' from left, 36 wide, hinge "
                "left, swings in, undercut 3/4\nwall D 28'");
            const auto say = [&](const std::string& line) {
                now = *apply(now, readLine(line, now)->edit)->project;
            };
            for (int g = 0; g < 5; ++g) {
                const int x = 70 + (g % 3) * 130;
                const int y = 65 + (g / 3) * 150;
                say(fmt::format("sofa called Sofa {0} at {1}in, {2}in, turned {3}", g, x, y,
                                g * 12 + r));
                say(fmt::format("coffee table called Low {0} 14 from Sofa {0}, centred on Sofa {0}",
                                g));
                say(fmt::format("armchair called Chair {0} 14 left of Low {0}, centred on Low {0}",
                                g));
                say(fmt::format("dresser called Chest {0} at {1}in, {2}in", g, x + 40, y + 100));
                say(fmt::format("rug called Rug {0} under Sofa {0} and Low {0}", g));
                say(fmt::format("round table 44 called Table {0} at {1}in, {2}in", g, x + 60,
                                y + 60));
                say(fmt::format("seat Table {0} with 4", g));
            }
            out.push_back(now);
        }
        return out;
    }();
    std::size_t pieces = 0;
    for (auto _ : state) {
        pieces = 0;
        for (const Project& job : rooms) {
            auto scene = sceneOf(job);
            auto readings = judge(**scene, *job.library.book, job.judgement);
            benchmark::DoNotOptimize(readings);
            pieces += (*scene)->floor.placed.size();
        }
    }
    state.counters["pieces"] = static_cast<double>(pieces);
}
BENCHMARK(flatOfFiveRooms)->Unit(benchmark::kMillisecond);

/// "What fits here?" in the demo's room.
void whatFits(benchmark::State& state, const char* question) {
    static const Project job = **openJob(
        std::filesystem::path(MEZZET_BENCH_DATA) / "demo" / "lantern-row.mezzet", library());
    for (auto _ : state) {
        auto answer = askWhatFits(question, job);
        benchmark::DoNotOptimize(answer);
    }
}
BENCHMARK_CAPTURE(whatFits, table, "table")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(whatFits, sofa, "sofa on wall A")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(whatFits, rug, "rug for seats")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(whatFits, where, "where sideboard 60 x 18")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(whatFits, does, "does armchair 28 x 30 x 32 fit")->Unit(benchmark::kMillisecond);

/// A step of a drag of one of sixty pieces on the board alone: resolved, judged, and painted anew.
void boardWhileDragging(benchmark::State& state) {
    app::JobSession session(library());
    session.open(std::make_shared<const Project>(sixty()), {});
    app::Board board(session);
    board.resize(800, 700);
    board.zoomToFit();
    const int sofa = session.project()->scheme().byName("Sofa 0")->id;
    session.select({sofa});
    board.panBy({1, 0}); // held, it doesn't zoom to what moves
    QImage image(800, 700, QImage::Format_ARGB32_Premultiplied);
    double x = 0;
    for (auto _ : state) {
        x = x > 200 ? 0 : x + 5;
        session.tryOut(drag(*session.settledProject(), *session.settledScene(), {sofa}, {x, 0},
                            DragTies::revalue)
                           .edit);
        board.render(&image);
    }
    session.endTrial();
}
BENCHMARK(boardWhileDragging)->Unit(benchmark::kMillisecond);

/// A step of a drag in the whole window: resolved, judged, and everything shown painted anew.
void dragStepInTheWindow(benchmark::State& state, bool everything) {
    app::MainWindow window(library());
    window.show();
    window.openDemo(0);
    auto& session = window.session();
    const int sofa = session.project()->scheme().byName("Sofa")->id;
    if (!everything)
        session.select({sofa});
    QApplication::processEvents();
    double x = 0;
    for (auto _ : state) {
        x = x > 200 ? 0 : x + 5;
        session.tryOut(drag(*session.settledProject(), *session.settledScene(), {sofa}, {x, 0},
                            DragTies::revalue)
                           .edit);
        for (int i = 0; i < 4; ++i)
            QApplication::processEvents();
    }
    session.endTrial();
}
BENCHMARK_CAPTURE(dragStepInTheWindow, selected, false)->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(dragStepInTheWindow, everything, true)->Unit(benchmark::kMillisecond);

/// A hall with so many pieces in groups of a sofa, a low table, a chair, a lamp and a stool; the
/// hall grows with them, or, crowded, stays that of sixty.
Project hallOf(int pieces, bool crowded) {
    const int groups = (pieces + 4) / 5;
    const int across = std::max(1, static_cast<int>(std::ceil(std::sqrt(groups))));
    const int room = crowded ? 4 : across;
    const int inches = room * 160 + 60;
    Project job = **newProject(
        library(), fmt::format("ceiling 9'\nwall A {0}\n window 4' from left, 6' wide\nwall B "
                               "{0}\n door 5' from left, 36 wide, hinge left, swings in\nwall C "
                               "{0}\n door 4' from left, 36 wide, hinge left, swings in\nwall D "
                               "{0}",
                               inches));
    auto scheme = std::make_shared<Scheme>();
    std::mt19937 random(5);
    const auto add = [&](const char* kind, double x, double y, double turn) {
        if (scheme->nextId > pieces)
            return;
        Piece p = pieceOf(library().kit->byId(kind));
        p.id = scheme->nextId++;
        p.name = fmt::format("no {}", p.id);
        p.pose = {{x * 25.4, y * 25.4}, Angle::degrees(turn)};
        scheme->pieces.push_back(p);
    };
    for (int g = 0; g < groups; ++g) {
        double x = 110 + 160 * (g % across);
        double y = 90 + 160 * (g / across);
        if (crowded) {
            x = 60 + static_cast<double>(random() % static_cast<unsigned>(inches - 120));
            y = 60 + static_cast<double>(random() % static_cast<unsigned>(inches - 120));
        }
        add("sofa", x, y, 0);
        add("coffee-table", x, y + 45, 0);
        add("armchair", x - 60, y + 45, 90);
        add("floor-lamp", x + 60, y, 0);
        add("stool", x + 50, y + 45, 0);
    }
    job.schemes = {scheme};
    job.activate(0);
    return job;
}

void judgeHall(benchmark::State& state, bool crowded) {
    const Project job = hallOf(static_cast<int>(state.range(0)), crowded);
    std::size_t readings = 0;
    for (auto _ : state) {
        const auto scene = sceneOf(job);
        readings = judge(**scene, *job.library.book, job.judgement).size();
        benchmark::DoNotOptimize(readings);
    }
    // How much each piece takes: the same at every size would be linear growth.
    state.counters["per piece"] = benchmark::Counter(static_cast<double>(state.range(0)),
                                                     benchmark::Counter::kIsIterationInvariantRate |
                                                         benchmark::Counter::kInvert);
    state.counters["readings"] = static_cast<double>(readings);
}
void judgePlain(benchmark::State& state) {
    judgeHall(state, false);
}
void judgeCrowded(benchmark::State& state) {
    judgeHall(state, true);
}
BENCHMARK(judgePlain)
    ->Name("judge")
    ->Arg(60)
    ->Arg(200)
    ->Arg(500)
    ->Arg(2000)
    ->Unit(benchmark::kMillisecond);
BENCHMARK(judgeCrowded)->Arg(60)->Arg(200)->Arg(500)->Arg(2000)->Unit(benchmark::kMillisecond);

/// A key pressed on the line, with so many pieces: what it would do, told.
void keyOnTheLine(benchmark::State& state) {
    const Project job = hallOf(static_cast<int>(state.range(0)), false);
    for (auto _ : state) {
        auto said = readLine("no 17 16 from no 16, centred on no 16", job);
        benchmark::DoNotOptimize(said);
        auto more = completions("move no 1", job);
        benchmark::DoNotOptimize(more);
    }
}
BENCHMARK(keyOnTheLine)->Arg(60)->Arg(500)->Unit(benchmark::kMillisecond);

/// The same of lines that are refused as they are said, so that other words are tried: one that is
/// meant otherwise, one that means nothing here.
void keyOnARefusedLine(benchmark::State& state, const char* line) {
    const Project job = hallOf(static_cast<int>(state.range(0)), false);
    for (auto _ : state) {
        auto said = readSpoken(line, job, {});
        benchmark::DoNotOptimize(said);
    }
}
BENCHMARK_CAPTURE(keyOnARefusedLine, otherwise, "put a second floor lamp at the other end of no 16")
    ->Arg(60)
    ->Arg(500)
    ->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(
    keyOnARefusedLine, unfinished,
    "the lovely no 16 should be moved to the other end of the hall with a stool on the l")
    ->Arg(60)
    ->Arg(500)
    ->Unit(benchmark::kMillisecond);

/// One remedy of the demo, chains and all, and all that can be mended.
void mendEverything(benchmark::State& state) {
    static const Project job = **openJob(
        std::filesystem::path(MEZZET_BENCH_DATA) / "demo" / "lantern-row.mezzet", library());
    for (auto _ : state) {
        auto mended = mendAll(job, {});
        benchmark::DoNotOptimize(mended);
    }
}
BENCHMARK(mendEverything)->Unit(benchmark::kMillisecond);

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    sheets::loadFonts();
    app::useTheme(false);
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
