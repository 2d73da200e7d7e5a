// Walls on paper: elevations to scale, hooks that add up, and templates measured back.
#include "jobs.h"
#include "judge/on_walls.h"
#include "measure/text.h"
#include "sheets/drawing.h"
#include "sheets/paper_out.h"
#include "sheets/printed.h"
#include "sheets/wall_sheets.h"

#include <QDir>
#include <QFile>
#include <QImage>
#include <QRegularExpression>
#include <QTemporaryDir>

#include <fmt/format.h>

#include <cmath>
#include <map>
#include <set>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

struct Line {
    Vec2 from; ///< mm of paper
    Vec2 to;
    QString colour;
    [[nodiscard]] double length() const { return norm(to - from); }
    [[nodiscard]] Vec2 middle() const { return (from + to) / 2; }
    [[nodiscard]] bool level() const { return std::abs(to.y - from.y) < 0.02; }
    [[nodiscard]] bool upright() const { return std::abs(to.x - from.x) < 0.02; }
};

/// The straight strokes of one page, as poppler reads them.
std::vector<Line> linesOf(const QString& pdf, int page, const QString& svg) {
    run("pdftocairo", {"-svg", "-f", QString::number(page), "-l", QString::number(page), pdf, svg});
    QFile f(svg);
    EXPECT_TRUE(f.open(QIODevice::ReadOnly));
    const auto text = QString::fromUtf8(f.readAll());
    static const QRegularExpression path("<path[^>]*/>");
    static const QRegularExpression stretch(
        R"( d="M ([-\d.]+) ([-\d.]+) L ([-\d.]+) ([-\d.]+) ?")");
    static const QRegularExpression matrix(R"(matrix\(([^)]*)\))");
    static const QRegularExpression stroke(R"(stroke="([^"]*)\")");
    std::vector<Line> out;
    auto it = path.globalMatch(text);
    while (it.hasNext()) {
        const auto one = it.next().captured(0);
        const auto m = stretch.match(one);
        if (!m.hasMatch())
            continue;
        double t[6] = {1, 0, 0, 1, 0, 0};
        if (const auto k = matrix.match(one); k.hasMatch()) {
            const auto parts = k.captured(1).split(QRegularExpression("[ ,]+"));
            for (int i = 0; i < 6; ++i)
                t[i] = parts[i].toDouble();
        }
        const auto at = [&](double x, double y) {
            return Vec2{t[0] * x + t[2] * y + t[4], t[1] * x + t[3] * y + t[5]} * (25.4 / 72);
        };
        out.push_back({at(m.captured(1).toDouble(), m.captured(2).toDouble()),
                       at(m.captured(3).toDouble(), m.captured(4).toDouble()),
                       stroke.match(one).captured(1)});
    }
    return out;
}

/// Crosses of two strokes of a length, one level and one upright, by their middles.
std::vector<Vec2> crosses(const std::vector<Line>& all, double length) {
    std::vector<Vec2> out;
    for (const Line& a : all) {
        if (!a.level() || std::abs(a.length() - length) > 0.05)
            continue;
        for (const Line& b : all)
            if (b.upright() && std::abs(b.length() - length) < 0.05 &&
                norm(a.middle() - b.middle()) < 0.05)
                out.push_back(a.middle());
    }
    return out;
}

Project nine(const std::vector<std::string>& more = {}) {
    std::vector<std::string> lines;
    for (int i = 0; i < 9; ++i)
        lines.push_back(
            fmt::format("picture {} x {} on wall C called P{}, at {}, 60, on two rings, drop 2",
                        10 + 2 * (i % 4), 12 + 3 * (i % 3), i + 1, 20 + 20 * i));
    lines.emplace_back(
        "group P1, P2, P3, P4, P5, P6, P7, P8 and P9 as a salon, gap 2, called Nine");
    lines.emplace_back("Nine at eye level, centred on wall C");
    lines.insert(lines.end(), more.begin(), more.end());
    return jobWith(lines);
}

} // namespace

TEST(Templates, TilesLaidByTheirMarksMeasureBackToATenthOfAMillimetre) {
    QTemporaryDir dir;
    const auto job = nine();
    const auto scene = *sceneOf(job);
    for (const char* paper : {"a4", "letter"}) {
        SheetOptions o;
        o.paper = paperNamed(paper);
        const auto pdf = dir.filePath("t.pdf");
        const auto printed = printTemplates(job, o, pdf.toStdString());
        ASSERT_TRUE(printed) << printed.problem().text();
        const Box b = bounds(scene->byId(job.scheme().byName("Nine")->id)->shape);
        const double w = o.paper->width.mm() - 16;
        const double h = o.paper->height.mm() - 16 - 9;
        const int columns = 1 + static_cast<int>(std::ceil((b.size().x + 2 - w) / (w - 10) - 1e-9));
        const int rows = 1 + static_cast<int>(std::ceil((b.size().y + 2 - h) / (h - 10) - 1e-9));
        ASSERT_EQ(printed->pages, columns * rows);
        // Where each tile lies is found from its crosses and its neighbours' alone.
        std::vector<std::vector<Line>> pages;
        for (int i = 0; i < printed->pages; ++i)
            pages.push_back(linesOf(pdf, i + 1, dir.filePath("t.svg")));
        const auto near = [](const std::vector<Vec2>& all, bool x, double at) {
            std::vector<Vec2> out;
            for (const Vec2 v : all)
                if (std::abs((x ? v.x : v.y) - at) < 0.1)
                    out.push_back(v);
            std::sort(out.begin(), out.end(), [](Vec2 p, Vec2 q) { return p.x + p.y < q.x + q.y; });
            return out;
        };
        std::vector<Vec2> shift(pages.size());
        for (int r = 0; r < rows; ++r)
            for (int c = 0; c < columns; ++c) {
                const auto i = static_cast<std::size_t>(r * columns + c);
                const auto own = crosses(pages[i], 6);
                if (c > 0) {
                    const auto before = near(crosses(pages[i - 1], 6), true, 8 + w - 5);
                    const auto here = near(own, true, 8 + 5);
                    ASSERT_EQ(before.size(), 2U);
                    ASSERT_EQ(here.size(), 2U);
                    shift[i] = shift[i - 1] + before[0] - here[0];
                    EXPECT_LT(norm(before[1] - here[1] - before[0] + here[0]), 0.05)
                        << "both marks meet";
                } else if (r > 0) {
                    const auto over = i - static_cast<std::size_t>(columns);
                    const auto before = near(crosses(pages[over], 6), false, 8 + h - 5);
                    const auto here = near(own, false, 8 + 5);
                    ASSERT_EQ(before.size(), 2U);
                    ASSERT_EQ(here.size(), 2U);
                    shift[i] = shift[over] + before[0] - here[0];
                }
            }
        // Every hook of the wall, on the laid-out paper, against every other.
        std::vector<Vec2> hooks;
        for (const auto& held : hangAll(*scene, hookRules(*job.library.book)))
            for (const auto& k : held.hooks)
                hooks.push_back({k.along.mm(), -k.up.mm()});
        std::vector<Vec2> found(hooks.size());
        std::vector<int> times(hooks.size(), 0);
        for (std::size_t i = 0; i < pages.size(); ++i)
            for (const Vec2 v : crosses(pages[i], 10)) {
                const Vec2 at = v + shift[i];
                const Vec2 onWall = at - Vec2{8 + 1, 8 + 1} + Vec2{b.low.x, -b.high.y};
                for (std::size_t k = 0; k < hooks.size(); ++k)
                    if (norm(onWall - hooks[k]) < 3) {
                        found[k] = at;
                        ++times[k];
                    }
            }
        int across = 0;
        for (std::size_t a = 0; a < hooks.size(); ++a) {
            EXPECT_GE(times[a], 1) << "hook " << a << " is on some tile";
            for (std::size_t c = a + 1; c < hooks.size(); ++c) {
                EXPECT_NEAR(norm(found[a] - found[c]), norm(hooks[a] - hooks[c]), 0.1);
                ++across;
            }
        }
        EXPECT_EQ(across, 18 * 17 / 2);
    }
}

TEST(Templates, OnARollTheyAreOnePieceAtFullSize) {
    QTemporaryDir dir;
    const auto job =
        jobWith({"picture 20 x 16 on wall C, at 60, 60, on two rings 14 apart, drop 2"});
    SheetOptions o;
    o.roll = Length::inches(24);
    const auto pdf = dir.filePath("r.pdf");
    const auto printed = printTemplates(job, o, pdf.toStdString());
    ASSERT_TRUE(printed) << printed.problem().text();
    EXPECT_EQ(printed->pages, 1);
    const auto c = crosses(linesOf(pdf, 1, dir.filePath("r.svg")), 10);
    ASSERT_EQ(c.size(), 2U);
    EXPECT_NEAR(norm(c[0] - c[1]), 14 * 25.4, 0.1);
    o.roll = Length::inches(12);
    const auto narrow = printTemplates(job, o, pdf.toStdString());
    ASSERT_FALSE(narrow);
    EXPECT_NE(narrow.problem().what.find("wider than the roll"), std::string::npos);
}

TEST(Templates, HaveALengthToCheckThePrinterBy) {
    QTemporaryDir dir;
    const auto pdf = dir.filePath("t.pdf");
    ASSERT_TRUE(printTemplates(nine(), {}, pdf.toStdString()));
    bool bar = false;
    for (const Line& l : linesOf(pdf, 1, dir.filePath("t.svg")))
        bar = bar || (l.level() && std::abs(l.length() - 50.8) < 0.02);
    EXPECT_TRUE(bar);
}

TEST(Templates, TilesThatNothingFallsOnAreLeftOutAndTold) {
    QTemporaryDir dir;
    // 80 x 60 in on A4: 194 x 272 mm a sheet less 10 of overlap, 11 by 6 tiles; the inner ones hold
    // nothing but where the name or a hook is.
    const auto job = jobWith({"canvas 80 x 60 called Sea on wall C, centre at 50, on two rings 40 "
                              "apart, drop 4"});
    SheetOptions o;
    o.paper = paperNamed("a4");
    const auto printed = printTemplates(job, o, dir.filePath("t.pdf").toStdString());
    ASSERT_TRUE(printed) << printed.problem().text();
    EXPECT_NE(printed->told.find("blank ones left out"), std::string::npos) << printed->told;
    EXPECT_LT(printed->pages, 60);
    EXPECT_GE(printed->pages, 2 * (11 + 6) - 4) << "all about the edge";
    EXPECT_EQ(printed->told.rfind(std::to_string(printed->pages) + " sheets", 0), 0U);
}

TEST(Templates, OfWhatDoesNotHangAreRefused) {
    QTemporaryDir dir;
    const auto at = dir.filePath("t.pdf").toStdString();
    EXPECT_FALSE(printTemplates(jobWith({}), {}, at));
    SheetOptions o;
    o.of = "nobody";
    EXPECT_FALSE(printTemplates(nine(), o, at));
    o.of = "nine";
    EXPECT_TRUE(printTemplates(nine(), o, at));
}

TEST(WallSheet, IsDrawnToItsScale) {
    QTemporaryDir dir;
    const auto job = jobWith(
        {"sofa 84 x 36 x 34 against wall C, centred on wall C", "picture 54 x 30, 6 above sofa"});
    SheetOptions o;
    o.paper = paperNamed("a3");
    o.scale = readScale("1:25");
    const auto pdf = dir.filePath("w.pdf");
    const auto printed = printWall(job, 2, o, pdf.toStdString());
    ASSERT_TRUE(printed) << printed.problem().text();
    // The overall dimension's line and the wall's foot are each as long as the wall.
    const double want = 20 * 304.8 / 25;
    double best = 1e9;
    for (const Line& l : linesOf(pdf, 1, dir.filePath("w.svg")))
        if (l.level())
            best = std::min(best, std::abs(l.length() - want - 2 * 6 * 25.4 / 25));
    EXPECT_LT(best, 0.1) << "the floor line, with half a foot at either end";
    const auto text = run("pdftotext", {"-layout", pdf, "-"});
    EXPECT_TRUE(text.contains("Wall C"));
    EXPECT_TRUE(text.contains("1:25"));
    EXPECT_TRUE(text.contains("Picture"));
}

TEST(WallSheet, WhatDoesNotFitSaysSo) {
    QTemporaryDir dir;
    SheetOptions o;
    o.paper = paperNamed("a4");
    o.scale = readScale("1:10");
    const auto printed = printWall(jobWith({}), 0, o, dir.filePath("w.pdf").toStdString());
    ASSERT_FALSE(printed);
    EXPECT_NE(printed.problem().what.find("does not fit"), std::string::npos);
    EXPECT_FALSE(printWall(jobWith({}), 9, {}, dir.filePath("w.pdf").toStdString()));
    EXPECT_FALSE(printWall(jobWith({}), 0, {}, dir.filePath("w.doc").toStdString()));
}

TEST(HookSchedule, ItsStepsAddUpAlongEachWall) {
    const auto job = nine({"sconce on wall A, centre 20 1/3 from left corner",
                           "add sconce on wall A called Other, centre 61 1/7 from left corner"});
    const auto scene = *sceneOf(job);
    const auto csv = QString::fromStdString(hooksAsCsv(job, *scene, Length::inches(1.0 / 16)));
    const auto lines = csv.split("\r\n", Qt::SkipEmptyParts);
    ASSERT_EQ(lines.size(), 1 + 18 + 2);
    std::map<QString, double> run;
    for (qsizetype i = 1; i < lines.size(); ++i) {
        const auto cells = lines[i].split(',');
        ASSERT_EQ(cells.size(), 19);
        run[cells[0]] += cells[7].toDouble();
        EXPECT_NEAR(run[cells[0]], cells[6].toDouble(), 1e-6) << "the steps so far";
        const double sixteenths = cells[6].toDouble() * 16;
        EXPECT_NEAR(sixteenths, std::round(sixteenths), 1e-6);
    }
}

TEST(HookSchedule, IsAPdfWithEveryPieceAndItsCautions) {
    QTemporaryDir dir;
    const auto pdf = dir.filePath("h.pdf");
    ASSERT_TRUE(
        printHooks(nine({"mirror 40 x 50 on wall B, weighs 70 lb"}), {}, pdf.toStdString()));
    const auto text = run("pdftotext", {"-layout", pdf, "-"});
    for (int i = 1; i <= 9; ++i)
        EXPECT_TRUE(text.contains(QString("P%1").arg(i)));
    EXPECT_TRUE(text.contains("Tape corners of Nine"));
    EXPECT_TRUE(text.contains("Glass"));
    EXPECT_TRUE(text.contains("find them before you drill"));
}

// Nothing an installer has to know is left off for want of room: sixty pieces with a caution each
// go on over as many pages as it takes, on the wall's own sheet and on that of all hooks.
TEST(HookSchedule, GoesOnOverPagesUntilAllIsSaid) {
    std::vector<std::string> lines;
    for (int i = 0; i < 60; ++i)
        lines.push_back(
            fmt::format("add picture 8 x 8 on wall C called Small{:02}, centre {} from left "
                        "corner, centre at {}",
                        i, 6 + (i % 15) * 9, 20 + (i / 15) * 18));
    const auto job =
        jobWith(lines, "wall A 12'\nwall B 10'\nwall C 12'\n switch 70 from left, 43 up\n"
                       "wall D 10'\n");
    std::size_t cautions = 0;
    for (const HangOf& h : hangAll(**sceneOf(job), hookRules(*job.library.book)))
        cautions += h.cautions.size();
    ASSERT_GT(cautions, 8U);
    QTemporaryDir dir;
    const auto saysAll = [&](const QString& pdf) {
        const auto text = run("pdftotext", {"-layout", pdf, "-"});
        for (int i = 0; i < 60; ++i)
            EXPECT_EQ(text.count(QRegularExpression(
                          QString("(?m)^\\s*\\d+\\s+Small%1\\s").arg(i, 2, 10, QChar('0')))),
                      1)
                << i;
        EXPECT_EQ(static_cast<std::size_t>(text.count("Cables are likely")), cautions);
        EXPECT_TRUE(text.contains("continued"));
    };
    const auto wall = dir.filePath("w.pdf");
    const auto printed = printWall(job, 2, {}, wall.toStdString());
    ASSERT_TRUE(printed) << printed.problem().text();
    EXPECT_GT(printed->pages, 2);
    saysAll(wall);
    const auto all = dir.filePath("h.pdf");
    ASSERT_TRUE(printHooks(job, {}, all.toStdString()));
    saysAll(all);
}

// SVG and PNG hold one page: each page has its own file.
TEST(Templates, HaveAFileForEachPageWhereAFileHoldsOne) {
    const auto job = nine({});
    QTemporaryDir dir;
    const auto printed = printTemplates(job, {}, dir.filePath("t.pdf").toStdString());
    ASSERT_TRUE(printed);
    ASSERT_GT(printed->pages, 3);
    const auto drawn = printTemplates(job, {}, dir.filePath("t.svg").toStdString());
    ASSERT_TRUE(drawn) << drawn.problem().text();
    EXPECT_EQ(drawn->pages, printed->pages);
    QDir(dir.path()).remove("t.pdf");
    EXPECT_EQ(QDir(dir.path()).entryList(QDir::Files).size(), printed->pages);
    std::set<QByteArray> different;
    for (int i = 0; i < printed->pages; ++i) {
        QFile file(QString::fromStdString(
            pagePath(dir.filePath("t.svg").toStdString(), static_cast<std::size_t>(i)).string()));
        ASSERT_TRUE(file.open(QIODevice::ReadOnly)) << i;
        const auto bytes = file.readAll();
        EXPECT_TRUE(bytes.contains("</svg>"));
        different.insert(bytes);
    }
    EXPECT_EQ(static_cast<int>(different.size()), printed->pages);
    EXPECT_EQ(pagesWords("t.svg", 9), "9 pages, a file each, to t-9.svg");
    EXPECT_EQ(pagesWords("t.pdf", 9), "9 pages");
    EXPECT_EQ(pagesWords("t.svg", 1), "1 page");
    EXPECT_EQ(pagePath("a/b.c/t.png", 1), std::filesystem::path("a/b.c/t-2.png"));
}

TEST(HookSchedule, SaysWhenNothingNeedsAHook) {
    QTemporaryDir dir;
    const auto pdf = dir.filePath("h.pdf");
    ASSERT_TRUE(printHooks(jobWith({}), {}, pdf.toStdString()));
    EXPECT_TRUE(
        run("pdftotext", {"-layout", pdf, "-"}).contains("Nothing in this room needs a hook."));
}

TEST(HungDrawing, EveryKindIsDrawnFromTheFront) {
    loadFonts();
    for (const auto& k : library().kit->kinds()) {
        if (!k->hangs())
            continue;
        Piece p = pieceOf(k);
        p.id = 1;
        p.on = onWall(0);
        Placed where;
        where.id = 1;
        where.pose = {{1500, 1500}, {}};
        where.shape = placed(p.shape(), where.pose);
        QImage image(320, 320, QImage::Format_RGB32);
        image.fill(dayLook().board);
        QPainter painter(&image);
        const Drawing d{painter, dayLook(), QPointF(10, 310), 0.1, 1, {}};
        drawHungPiece(d, p, where);
        painter.end();
        int dots = 0;
        for (int y = 0; y < 320; ++y)
            for (int x = 0; x < 320; ++x)
                dots += image.pixelColor(x, y) != dayLook().board ? 1 : 0;
        EXPECT_GT(dots, 12) << k->id;
    }
}

TEST(HungDrawing, APictureIsSeenInItsFrame) {
    loadFonts();
    // One red dot, as a PNG (base64).
    const char* red = "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAIAAACQd1PeAAAADElEQVR4nGP4z8AAAAMBAQDJ/"
                      "pLvAAAAAElFTkSuQmCC";
    Pictures pictures;
    pictures["dot"] = {"dot.png", "dot.png", red, 1, 1};
    Piece p = pieceOf(library().kit->byId("picture"));
    p.id = 1;
    p.on = onWall(0);
    p.picture = "dot";
    Placed where;
    where.id = 1;
    where.pose.at = {1500, 1500};
    where.shape = placed(p.shape(), where.pose);
    QImage image(320, 320, QImage::Format_RGB32);
    image.fill(dayLook().board);
    QPainter painter(&image);
    drawHungPiece({painter, dayLook(), QPointF(10, 310), 0.1, 1, {}}, p, where, &pictures);
    painter.end();
    EXPECT_GT(image.pixelColor(160, 160).red(), 200);
    EXPECT_LT(image.pixelColor(160, 160).green(), 60);
}
