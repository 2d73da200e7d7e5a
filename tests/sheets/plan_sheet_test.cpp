#include "jobs.h"
#include "sheets/printed.h"
#include "sheets/sheet.h"

#include <QFile>
#include <QGuiApplication>
#include <QImage>
#include <QRegularExpression>
#include <QTemporaryDir>

#include <set>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

/// The straight lines of a PDF's first page, each by its length in mm of paper, as poppler reads
/// them.
std::vector<double> linesIn(const QString& pdf, const QString& svg) {
    run("pdftocairo", {"-svg", pdf, svg});
    QFile f(svg);
    EXPECT_TRUE(f.open(QIODevice::ReadOnly));
    const auto text = QString::fromUtf8(f.readAll());
    static const QRegularExpression path(
        R"RX(<path[^>]* d="M ([-\d.]+) ([-\d.]+) L ([-\d.]+) ([-\d.]+) ?"[^>]*?(?: transform="matrix\(([^)]*)\)")?[^>]*/>)RX");
    std::vector<double> out;
    auto it = path.globalMatch(text);
    while (it.hasNext()) {
        const auto m = it.next();
        double a = 1, b = 0, c = 0, d = 1;
        if (!m.captured(5).isEmpty()) {
            const auto t = m.captured(5).split(QRegularExpression("[ ,]+"));
            a = t[0].toDouble(), b = t[1].toDouble(), c = t[2].toDouble(), d = t[3].toDouble();
        }
        const double x = m.captured(3).toDouble() - m.captured(1).toDouble();
        const double y = m.captured(4).toDouble() - m.captured(2).toDouble();
        out.push_back(std::hypot(a * x + c * y, b * x + d * y) * 25.4 / 72);
    }
    return out;
}

double nearest(const std::vector<double>& all, double want) {
    double best = 1e300;
    for (const double v : all)
        if (std::abs(v - want) < std::abs(best - want))
            best = v;
    return best;
}

} // namespace

TEST(PlanSheet, AWallIsDrawnToTheThousandthOfItsScaledLength) {
    QTemporaryDir dir;
    const auto job = jobWith({"sofa 84 x 36 against wall A, centred on wall A"});
    for (const auto& [paper, scale] : {std::pair{"a3", "1:50"}, std::pair{"tabloid", "1/4\""},
                                       std::pair{"a4", "1:100"}, std::pair{"letter", "1/8\""}}) {
        SheetOptions o;
        o.paper = paperNamed(paper);
        o.scale = readScale(scale);
        const auto pdf = dir.filePath("plan.pdf");
        const auto printed = printPlan(job, o, pdf.toStdString());
        ASSERT_TRUE(printed) << printed.problem().text();
        const auto lines = linesIn(pdf, dir.filePath("plan.svg"));
        for (const double feet : {20.0, 15.0}) {
            const double want = feet * 304.8 / o.scale->denominator;
            EXPECT_NEAR(nearest(lines, want), want, want / 1000) << paper << " " << scale;
        }
    }
}

TEST(PlanSheet, ScalesArePublishedOnes) { // 1/4" = 1'-0" is 1:48 and so on, any drafting handbook
    EXPECT_NEAR(readScale("1/4\"")->denominator, 48, 1e-9);
    EXPECT_NEAR(readScale("1/2\" = 1'-0\"")->denominator, 24, 1e-9);
    EXPECT_NEAR(readScale("1/8\"")->denominator, 96, 1e-9);
    EXPECT_NEAR(readScale("1:50")->denominator, 50, 1e-9);
    EXPECT_FALSE(readScale("small"));
    EXPECT_FALSE(readScale("1:0"));
}

TEST(PlanSheet, PaperHasItsPublishedSize) { // ISO 216; ANSI Y14.1
    QTemporaryDir dir;
    for (const auto& [name, w, h] :
         {std::tuple{"a4", 210.0, 297.0}, std::tuple{"a3", 297.0, 420.0},
          std::tuple{"letter", 215.9, 279.4}, std::tuple{"tabloid", 279.4, 431.8}}) {
        SheetOptions o;
        o.paper = paperNamed(name);
        ASSERT_TRUE(printPlan(jobWith({}), o, dir.filePath("p.pdf").toStdString()));
        const auto info = run("pdfinfo", {dir.filePath("p.pdf")});
        static const QRegularExpression size(R"(Page size:\s+([\d.]+) x ([\d.]+))");
        const auto m = size.match(info);
        const double a = m.captured(1).toDouble() * 25.4 / 72;
        const double b = m.captured(2).toDouble() * 25.4 / 72;
        EXPECT_NEAR(std::min(a, b), w, 0.2) << name;
        EXPECT_NEAR(std::max(a, b), h, 0.2) << name;
    }
}

TEST(PlanSheet, NamesPiecesAndWhatIsToMend) {
    QTemporaryDir dir;
    const auto job = jobWith({"title Lantern Row", "sofa 84 x 36 against wall A, centred on wall A",
                              "coffee table 8 from sofa, centred on sofa"});
    ASSERT_TRUE(printPlan(job, {{}, {}, "1 May 2030"}, dir.filePath("p.pdf").toStdString()));
    const auto text = run("pdftotext", {"-layout", dir.filePath("p.pdf"), "-"});
    for (const char* t : {"Lantern Row", "Sofa", "84 x 36", "Coffee table", "knees", "20' 0\"",
                          "1 May 2030", "Low and close"})
        EXPECT_TRUE(text.contains(t)) << t;
    ASSERT_TRUE(printPlan(job, {}, dir.filePath("p.svg").toStdString()));
    ASSERT_TRUE(printPlan(job, {}, dir.filePath("p.png").toStdString()));
    const QImage image(dir.filePath("p.png"));
    EXPECT_NEAR(image.width() * 1000.0 / image.dotsPerMeterX(), 279.4, 0.5);
}

TEST(PlanSheet, ALongScheduleGoesOnOnFurtherPages) {
    QTemporaryDir dir;
    std::vector<std::string> lines;
    for (int i = 0; i < 90; ++i)
        lines.push_back("stool called Stool no" + std::to_string(i) + " at " +
                        std::to_string(10 + i * 2) + "in, 60in");
    const auto printed = printPlan(jobWith(lines), {}, dir.filePath("p.pdf").toStdString());
    ASSERT_TRUE(printed);
    EXPECT_GT(printed->pages, 1);
    EXPECT_TRUE(run("pdftotext", {dir.filePath("p.pdf"), "-"}).contains("Stool no89"));
}

TEST(PlanSheet, ARoomThatDoesNotFitIsRefusedWithAScaleThatDoes) {
    SheetOptions o;
    o.paper = paperNamed("a4");
    o.scale = readScale("1:10");
    QTemporaryDir dir;
    const auto r = printPlan(jobWith({}), o, dir.filePath("p.pdf").toStdString());
    ASSERT_FALSE(r);
    EXPECT_NE(r.problem().remedy.find("fits on A4"), std::string::npos) << r.problem().text();
    EXPECT_FALSE(QFile::exists(dir.filePath("p.pdf")));
    EXPECT_FALSE(printPlan(jobWith({}), {}, "/no such folder/p.pdf"));
}

int main(int argc, char** argv) {
    QGuiApplication application(argc, argv);
    testing::InitGoogleTest(&argc, argv);
    return RUN_ALL_TESTS();
}
