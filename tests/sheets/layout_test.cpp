// How the plan sheet lays itself out: papers, scales, units, long lists, odd rooms.
#include "jobs.h"
#include "judge/say.h"
#include "sheets/printed.h"
#include "sheets/sheet.h"

#include <QFile>
#include <QProcess>
#include <QTemporaryDir>

#include <fmt/format.h>

#include <set>

using namespace mezzet;
using namespace mezzet::test;
using namespace mezzet::sheets;

namespace {

Result<Printed> print(const Project& job, const QString& file, const char* paper = "",
                      const char* scale = "") {
    SheetOptions o;
    o.paper = paperNamed(paper);
    o.scale = readScale(scale);
    o.date = "1 May 2030";
    return printPlan(job, o, file.toStdString());
}

QString linesOf(const QString& pdf) {
    QProcess p;
    p.start("pdftotext", {"-layout", pdf, "-"});
    p.waitForFinished(60000);
    return QString::fromUtf8(p.readAllStandardOutput());
}

QString contents(const QString& file) {
    QFile f(file);
    return f.open(QIODevice::ReadOnly) ? QString::fromUtf8(f.readAll()) : QString();
}

} // namespace

TEST(Layout, ChoosesTheJobsOwnPapersAndAUsualScale) {
    QTemporaryDir dir;
    const auto feet = print(jobWith({}), dir.filePath("a.pdf"));
    ASSERT_TRUE(feet);
    EXPECT_EQ(feet->paper.rfind("Letter", 0), 0U) << feet->paper;
    EXPECT_NE(feet->scale.find("1'-0\""), std::string::npos) << feet->scale;
    const auto metric = print(jobWith({"units cm"}), dir.filePath("b.pdf"));
    EXPECT_EQ(metric->paper.rfind("A4", 0), 0U) << metric->paper;
    EXPECT_EQ(metric->scale, "1:50");
}

TEST(Layout, ALargeRoomTakesALargerPaperOrASmallerScale) {
    QTemporaryDir dir;
    const auto hall = [&](int feet) {
        return print(
            jobWith(
                {},
                fmt::format("wall A {0}'\nwall B {0}'\nwall C {0}'\nwall D {0}'", feet).c_str()),
            dir.filePath("h.pdf"));
    };
    EXPECT_EQ(hall(12)->paper.rfind("Letter", 0), 0U);
    EXPECT_EQ(hall(36)->paper.rfind("Tabloid", 0), 0U) << hall(36)->paper;
    EXPECT_TRUE(hall(240)) << "a hall of 240 feet prints too";
    EXPECT_FALSE(hall(600)) << "and one of 600 says that it doesn't fit";
}

TEST(Layout, ATallRoomStandsUpright) {
    QTemporaryDir dir;
    const auto r = print(jobWith({"sofa against wall A", "coffee table 8 from sofa"},
                                 "wall A 9'\nwall B 24'\nwall C 9'\nwall D 24'"),
                         dir.filePath("a.pdf"));
    ASSERT_TRUE(r);
    EXPECT_NE(r->paper.find("upright"), std::string::npos) << r->paper;
    const auto text = linesOf(dir.filePath("a.pdf"));
    EXPECT_TRUE(text.contains("To mend"));
    EXPECT_TRUE(text.contains("Pieces, width x depth x height"));
}

TEST(Layout, EveryPaperAndScaleThatFitsIsTrue) {
    QTemporaryDir dir;
    const auto job = jobWith({"sofa against wall A"});
    std::set<std::string> printed;
    for (const char* paper : {"letter", "tabloid", "a4", "a3"}) {
        for (const bool metric : {true, false}) {
            for (const auto& s : usualScales(metric)) {
                const auto r = print(job, dir.filePath("x.pdf"), paper, s.words.c_str());
                if (r) {
                    EXPECT_EQ(r->scale, s.words);
                    printed.insert(paper + s.words);
                } else {
                    EXPECT_FALSE(r.problem().remedy.empty());
                }
            }
        }
    }
    EXPECT_GT(printed.size(), 20U);
}

TEST(Layout, TheTitleBlockHoldsTheJob) {
    QTemporaryDir dir;
    ASSERT_TRUE(print(jobWith({"title Harbour flat", "client The harbour master",
                               "scheme rename By the window", "school viewer-and-air"}),
                      dir.filePath("a.pdf")));
    const auto text = linesOf(dir.filePath("a.pdf"));
    for (const char* t : {"Harbour flat", "The harbour master", "By the window", "Viewer and air",
                          "1 May 2030", "8' 0\"", "Nothing to mend"})
        EXPECT_TRUE(text.contains(t)) << t << "\n" << qPrintable(text);
}

TEST(Layout, NorthIsDrawnWhenItIsGiven) {
    QTemporaryDir dir;
    const char* notes = "north 30\nwall A 10'\nwall B 10'\nwall C 10'\nwall D 10'";
    ASSERT_TRUE(print(jobWith({}, notes), dir.filePath("n.svg")));
    ASSERT_TRUE(print(jobWith({}, notes + 9), dir.filePath("o.svg")));
    EXPECT_TRUE(contents(dir.filePath("n.svg")).contains(">N<"));
    EXPECT_FALSE(contents(dir.filePath("o.svg")).contains(">N<"));
}

TEST(Layout, OpeningsAndWallsAreDimensioned) {
    QTemporaryDir dir;
    ASSERT_TRUE(print(jobWith({}), dir.filePath("a.pdf"), "tabloid"));
    const auto text = linesOf(dir.filePath("a.pdf"));
    for (const char* t : {"20' 0\"", "15' 0\"", "7' 6\"", "5' 0\"", "2' 8\""})
        EXPECT_TRUE(text.contains(t)) << t;
    ASSERT_TRUE(print(jobWith({"units mm"}), dir.filePath("m.pdf"), "a3"));
    EXPECT_TRUE(linesOf(dir.filePath("m.pdf")).contains("6096 mm"));
}

TEST(Layout, SmallPiecesAreNumberedAndAllAreInTheSchedule) {
    QTemporaryDir dir;
    ASSERT_TRUE(
        print(jobWith({"stool 8 called \"Stool by the window\", at 5', 5'", "sofa at 12', 6'"}),
              dir.filePath("a.pdf")));
    const auto text = linesOf(dir.filePath("a.pdf"));
    EXPECT_TRUE(text.contains("Stool by the window"));
    EXPECT_TRUE(text.contains("8 x 8 x 18"));
}

TEST(Layout, WhatDoesNotFitAPictureIsSaidToBeInThePdf) {
    QTemporaryDir dir;
    std::vector<std::string> lines;
    for (int i = 0; i < 80; ++i)
        lines.push_back(fmt::format("stool called no{} at {}in, 60in", i, 10 + i * 2));
    const auto job = jobWith(lines);
    ASSERT_TRUE(print(job, dir.filePath("a.svg")));
    EXPECT_TRUE(contents(dir.filePath("a.svg")).contains("in the PDF"));
    ASSERT_TRUE(print(job, dir.filePath("a.pdf")));
    const auto text = linesOf(dir.filePath("a.pdf"));
    EXPECT_TRUE(text.contains("on the next page"));
    for (int i = 0; i < 80; ++i)
        EXPECT_TRUE(text.contains(QString("no%1").arg(i))) << i;
}

TEST(Layout, ARoomWithoutWallsHasNoPlan) {
    QTemporaryDir dir;
    const auto r = print(jobWith({}, "room Nothing yet"), dir.filePath("a.pdf"));
    ASSERT_FALSE(r);
    EXPECT_FALSE(r.problem().remedy.empty());
}

TEST(Formats, AreToldByTheEnding) {
    EXPECT_EQ(formatOf("a.PDF"), Format::pdf);
    EXPECT_EQ(formatOf("x/y.svg"), Format::svg);
    EXPECT_EQ(formatOf("a.b.png"), Format::png);
    EXPECT_FALSE(formatOf("a"));
    EXPECT_FALSE(formatOf("a.doc"));
}

TEST(Scales, AreReadAsTheyAreWritten) {
    for (const bool metric : {true, false})
        for (const auto& s : usualScales(metric))
            EXPECT_NEAR(readScale(s.words)->denominator, s.denominator, 1e-9) << s.words;
    for (const char* bad : {"", "1:", "1:-5", "1:x", "0\"", "1:99999", "two"})
        EXPECT_FALSE(readScale(bad)) << bad;
    EXPECT_NEAR(readScale(" 1:75 ")->denominator, 75, 1e-9);
    EXPECT_NEAR(readScale("3/32\"")->denominator, 128, 1e-9);
}

TEST(Layout, TheListsNeverTakeThePlansPlace) {
    // 3.5 x 8.2 m at 1:50 is 70 x 164 mm, and wants 19 mm and a wall about it: that fits on A4.
    const char* notes = "units metres\nceiling 2.5\nwall A 3.5\nwall B 8.2\nwall C 3.5\n"
                        " door 0.5 from left, 0.8 wide\nwall D 8.2\n";
    std::vector<std::string> lines;
    for (int i = 0; i < 24; ++i)
        lines.push_back(fmt::format("stool called Stool no {} at {}, {}", i, 0.4 + (i % 4) * 0.7,
                                    0.5 + (i / 4) * 1.2));
    const auto job = jobWith(lines, notes);
    QTemporaryDir dir;
    const auto pdf = dir.filePath("a.pdf");
    const auto printed = print(job, pdf, "a4", "1:50");
    ASSERT_TRUE(printed) << printed.problem().text();
    EXPECT_EQ(printed->paper, "A4 upright");
    EXPECT_EQ(printed->scale, "1:50");
    const auto text = linesOf(pdf);
    for (int i = 0; i < 24; ++i)
        EXPECT_TRUE(text.contains(QString("Stool no %1 ").arg(i)) ||
                    text.contains(QString("Stool no %1\n").arg(i)))
            << "stool " << i << " is in the list, on whatever page";
    // At 1:25 it is 328 mm long: that doesn't fit, and what would is said.
    const auto larger = print(job, pdf, "a4", "1:25");
    ASSERT_FALSE(larger);
    EXPECT_NE(larger.problem().remedy.find("1:50"), std::string::npos) << larger.problem().text();
}

TEST(Layout, WhatHangsIsInTheListAndAClientIsSparedTheMending) {
    const auto job = jobWith({"sofa 84 x 36 against wall A", "coffee table 8 from sofa",
                              "picture 30 x 20 called Harbour on wall B, centre at 60",
                              "pendant called Lantern lamp at 10', 8'"});
    QTemporaryDir dir;
    const auto pdf = dir.filePath("a.pdf");
    ASSERT_TRUE(print(job, pdf));
    auto text = linesOf(pdf);
    EXPECT_TRUE(text.contains("Harbour, on wall B")) << text.toStdString();
    EXPECT_TRUE(text.contains("Lantern lamp, under the ceiling"));
    EXPECT_TRUE(text.contains("To mend,"));
    EXPECT_TRUE(text.contains("Judged by"));
    SheetOptions o;
    o.mends = false;
    ASSERT_TRUE(printPlan(job, o, pdf.toStdString()));
    text = linesOf(pdf);
    EXPECT_TRUE(text.contains("Harbour, on wall B"));
    EXPECT_FALSE(text.contains("mend"));
    EXPECT_FALSE(text.contains("Judged by"));
}

TEST(Layout, WhatIsAcceptedIsPrintedWithItsReason) {
    const auto job = jobWith({"sofa 84 x 36 against wall A", "coffee table 8 from sofa"});
    const auto said =
        readSaid("accept seat-to-table of coffee table because the dog lies there", job);
    ASSERT_TRUE(said);
    QTemporaryDir dir;
    const auto pdf = dir.filePath("a.pdf");
    ASSERT_TRUE(print(*apply(job, said->edit)->project, pdf));
    EXPECT_TRUE(linesOf(pdf).simplified().contains("the dog lies there"));
}
